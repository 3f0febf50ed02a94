"""Wishes are sewn as they were said: eases, heights with a shape, clearances (model, sections 4, 7 and 9)."""

import pytest
from pydantic import ValidationError

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.planning.asked.readiness import ready
from fuseau.wording.faults import faults
from tests.kinds import built
from tests.plans import KEPT, plan
from tests.saying import said


def wished(build, **fields):
    return change(build, [Change(at=at.replace("__", "."), value=value) for at, value in fields.items()], "cm")


def clear(build, clearance):
    return change(build, [Change(at="bones.clearance_by_channel.2·3", value=clearance)], "cm")


def room(planned, level):
    """By how much the worn garment is wider than her own girth, mm."""
    one = next(one for one in planned.levels if one.name == level)
    return one.worn_mm - planned.final.take_up_mm - one.body_mm


@pytest.mark.parametrize("ease", [40, 10, -20, -40])
@pytest.mark.parametrize("kind", ["overbust corset", "strapless bodice"])
def test_an_ease_typed_for_the_bust_is_worn_so_and_the_waist_stays_as_asked(kind, ease):
    plain = plan(built(kind))
    found = plan(wished(built(kind), target__ease_at__bust=float(ease)))
    assert room(found, "bust") == pytest.approx(ease, abs=1.5)
    if kind == "overbust corset":  # a bodice that only supports asks for no waist
        assert room(found, "waist") == pytest.approx(room(plain, "waist"), abs=2.5)
    assert found.gap_shape.mean_mm == pytest.approx(plain.gap_shape.mean_mm, abs=1)
    codes = {(one.code, one.where) for one in found.findings}
    assert ("stands_off", "Bust") not in codes  # it was asked for


def test_an_ease_that_was_asked_for_does_not_fail_the_odds():
    roomy = wished(built("strapless bodice"), target__ease_at__bust=30.0)
    known = {name: {**level, "readings_mm": [level["readings_mm"][0]] * 3} for name, level in MEASURED.items()}
    roomy = wished(roomy, **{f"wearer__{name}__readings_mm": level["readings_mm"] for name, level in known.items()})
    assert ready(roomy, cache=KEPT).fails["stand-off"] < 0.5


MEASURED = {"bust": {"readings_mm": [913]}, "waist": {"readings_mm": [700]}}


def test_an_ease_at_the_waist_is_refused_at_its_field():
    with pytest.raises(ValidationError) as caught:
        wished(built("overbust corset"), target__ease_at__waist=20.0)
    (fault,) = faults(caught.value)
    assert fault.at == "target.ease_at.waist"
    assert "said above" in fault.sentence


@pytest.mark.parametrize("shape", ["plain", "sweetheart", "scoop", "point", "swoop"])
@pytest.mark.parametrize(("end", "heights"), [("top", (150.0, 120.0, 100.0)), ("hem", (130.0, 90.0, 110.0))])
def test_a_height_typed_for_a_point_is_the_height_of_the_point_in_every_shape(end, heights, shape):
    typed = dict(zip(("cf_mm", "side_mm", "cb_mm"), heights, strict=True))
    build = built("underbust corset", **{f"draft__{end}__{field}": mm for field, mm in typed.items()})
    line = getattr(plan(wished(build, **{f"draft__{end}__shape": shape})).pattern, end)
    for field, mm in typed.items():
        assert abs(getattr(line, field)) == pytest.approx(mm), (field, shape)
    if shape != "plain":
        assert line.points


def test_a_clearance_at_a_bones_ends_is_kept_to_the_millimetre_in_its_channel_alone():
    build = built("underbust corset")
    before = {bone.channel: bone for bone in plan(build).bones}
    found = {bone.channel: bone for bone in plan(clear(build, "17 mm")).bones}
    moved = found.pop("2·3")
    assert 17 <= (moved.path_mm - moved.length_mm) / 2 < 18.5
    assert {label: bone.length_mm for label, bone in found.items()} == {
        label: bone.length_mm for label, bone in before.items() if label != "2·3"
    }


def test_a_clearance_that_leaves_no_bone_is_refused_with_the_most_that_does():
    build = clear(built("underbust corset"), 118.0)
    found = plan(build)
    (stop,) = [one for one in found.findings if one.severity == "stop"]
    assert (stop.stage, stop.at) == ("bones", "bones.clearance_by_channel.2·3")
    assert "at the most" in said(stop.sentence)
    most = stop.sentence.given["most_mm"]
    kept = plan(clear(build, float(most)))
    assert not kept.unmakeable
