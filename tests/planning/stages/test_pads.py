"""Padding under a garment, told from making it to the fitting at which she forgot it."""

import datetime

import pytest

from fuseau.commands.fittings import correct_fitting, log_fitting
from fuseau.commands.versions import cut_version
from fuseau.craft.base.errors import Unmakeable
from fuseau.planning.stages.cut import plan_cut
from fuseau.planning.stages.make import steps_of
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

BARE = built("longline corset", draft__hem__side_mm="16", draft__hem__cb_mm="16", draft__hem__cf_mm="16")
PADS = [{"level": "high_hip", "thick_mm": "2"}]
PADDED = edited(BARE, pads=PADS)
TODAY = datetime.date(2026, 11, 26)


def level(planned, name="high_hip", of="levels"):
    return next(one for one in getattr(planned, of) if one.name == name)


def test_it_counts_in_the_pattern_and_leaves_gap_and_pressure_as_they_were():
    bare, padded = plan(BARE), plan(PADDED)
    takes = level(padded).padded_mm
    assert 55 < takes < 75  # 17 mm on each side of 96 cm
    assert level(padded).closed_mm - level(bare).closed_mm == pytest.approx(takes, abs=7)
    assert level(padded).worn_mm - level(bare).worn_mm == pytest.approx(takes, abs=7)
    assert level(padded).pressure_kpa == pytest.approx(level(bare).pressure_kpa, abs=0.45)  # the curve bulges out there
    assert padded.gap_shape.mean_mm == pytest.approx(bare.gap_shape.mean_mm, abs=0.5)
    assert level(padded, "waist").closed_mm == pytest.approx(level(bare, "waist").closed_mm, abs=0.5)
    assert padded.made_for != bare.made_for


def test_she_gets_in_with_it_on():
    bare, padded = plan(BARE), plan(PADDED)
    ways = [{one.way: one.passes_mm for one in planned.ways} for planned in (bare, padded)]
    assert ways[1]["up over the hips"] >= ways[0]["up over the hips"]
    thick = plan(edited(BARE, pads=[{"level": "hip", "thick_mm": "4"}]))
    wider = {one.way: one.passes_mm for one in thick.ways}["up over the hips"] - ways[0]["up over the hips"]
    assert wider == pytest.approx(level(thick, "hip").padded_mm, abs=0.1)
    assert level(padded).with_padding_mm == level(padded).body_mm + level(padded).padded_mm


def as_predicted(build, planned):
    mock_up = planned.mock_up
    heights = mock_up.z_mm[4:-4:10]
    return {
        "tried_on": None,
        "readings": [{"z_mm": round(z), "gap_mm": round(mock_up.gap_at(round(z)), 1)} for z in heights],
    }


def fitted(build, *, seen_on, **fitting):
    """The build's version tried on, with the gaps that the plan of `seen_on` foretells of that same version."""
    build = cut_version(build, plan(build), TODAY)
    same = seen_on.model_copy(update={"versions": build.versions})
    return log_fitting(build, plan(build), {**as_predicted(same, plan(same)), **fitting}, TODAY, "cm")


def believed(build):
    return {one.name: one.believed_mm for one in plan(build).learned.levels}


def test_a_fitting_over_the_padding_teaches_of_her_and_not_of_the_padding():
    build = fitted(PADDED, seen_on=PADDED)
    assert build.fittings[-1].pads == PADDED.pads
    for name, mm in believed(build).items():
        assert mm == pytest.approx(level(plan(BARE), name).body_mm, abs=4), name


def test_a_fitting_without_the_padding_is_not_read_as_a_smaller_hip():
    # the same version on her alone: the gap is narrower below. Told that the padding was off, nothing is learned of it
    told = fitted(PADDED, seen_on=BARE, pads=[])
    assert believed(told)["high_hip"] == pytest.approx(level(plan(BARE)).body_mm, abs=6)
    # had nobody said so, her hip would come out too small
    assert believed(fitted(PADDED, seen_on=BARE))["high_hip"] < believed(told)["high_hip"] - 4


def test_it_is_cut_made_first_and_worn_at_the_fitting():
    planned = plan(PADDED)
    layers = [one for cloth in plan_cut(PADDED, planned).cloths for one in cloth.pieces if one.what == "pad"]
    assert [(one.cloth, one.count) for one in layers] == [("foam", 2)] * 3
    steps = {one.key: one for one in steps_of(PADDED, planned)}
    assert steps["pad high hip sides"].needs == ("cut foam",)
    fitting = next(one for key, one in steps.items() if key.startswith("fitting"))
    assert "pad high hip sides" in fitting.needs
    say = Words("cm")
    assert "20 mm in the middle" in say(steps["pad high hip sides"].materials[0])
    assert "foam" in PADDED.cloths_to_cut


def test_what_can_not_be_is_refused_and_what_the_garment_does_not_reach_is_told():
    for pads, at in (
        ([{"level": "waist", "thick_mm": "1"}], "pads.0.level"),
        ([{"level": "hip", "thick_mm": "4", "cloth": "lawn"}], "pads.0.cloth"),
    ):
        planned = plan(edited(BARE, pads=pads))
        assert planned.unmakeable
        assert planned.findings[-1].at == at
    short = plan(built("cincher", pads=[{"level": "bust", "thick_mm": "2"}]))
    assert [one.code for one in short.findings if one.code.startswith("pads.")] == ["pads.unknown"]
    outside = plan(built("underbust corset", pads=[{"level": "hip", "thick_mm": "2"}]))
    assert "pads.outside" in [one.code for one in outside.findings]
    with pytest.raises(Unmakeable):
        edited(BARE, pads__3__thick_mm="2")


def test_padding_that_is_put_on_later_asks_for_the_next_version_and_is_never_unlearned():
    build = fitted(BARE, seen_on=BARE)
    later = edited(build, pads=PADS)
    before, after = plan(build), plan(later)
    assert build.fittings[-1].pads == ()
    assert believed(later) == pytest.approx(believed(build), abs=0.01)  # the fitting was of her alone
    assert after.proposal is not None
    takes = level(after).padded_mm
    change = after.proposal.sewn_change_mm["high_hip"]
    assert change == pytest.approx(takes, abs=12)
    # taken off again, everything is as it was
    off = edited(later, pads=[])
    assert plan(off).made_for == before.made_for
    assert [one.closed_mm for one in plan(off).levels] == [one.closed_mm for one in before.levels]


def test_a_fitting_that_is_corrected_keeps_the_padding_that_was_under_it():
    build = fitted(PADDED, seen_on=PADDED)
    thicker = edited(build, pads=[{"level": "high_hip", "thick_mm": "3"}])
    mended = correct_fitting(thicker, 1, {"note": "she stood straighter"}, "cm")
    assert mended.fittings[0].pads == PADDED.pads
    bare = correct_fitting(thicker, 1, {"pads": []}, "cm")
    assert bare.fittings[0].pads == ()
    assert believed(bare)["high_hip"] > believed(mended)["high_hip"] + 10  # what filled it was her, then


@pytest.mark.parametrize("place", ["sides", "front", "back", "all round"])
@pytest.mark.parametrize("kind", ["longline corset", "overbust corset", "strapless bodice", "foundation bodice"])
def test_every_kind_plans_with_padding_anywhere_it_reaches(kind, place):
    build = built(kind, pads=[{"level": "high_hip", "place": place, "thick_mm": "1.5"}])
    planned = plan(build)
    assert not planned.unmakeable
    assert planned.pads[0].count == (1 if place in ("front", "back") else 2)
    assert level(planned).padded_mm == pytest.approx(planned.pads[0].girth_mm, abs=0.01)
    assert planned.gap_shape.shape in ("parallel", "closed", "wide at waist", "wide at top", "wide at bottom")


def test_no_trying_on_waits_for_shoulder_pads():
    pads = [{"level": "hip", "thick_mm": 20}, {"level": "shoulders", "thick_mm": 12}]
    build = edited(built("longline corset"), pads=pads)
    steps = {step.key: step for step in steps_of(build, plan(build))}
    assert {"pad hip sides", "pad shoulders sides"} <= steps.keys()
    fitted = [step for step in steps.values() if "pad hip sides" in step.needs]
    assert fitted
    assert not [step for step in steps.values() if "pad shoulders sides" in step.needs]
    assert steps["pad shoulders sides"].why.code == "step.pad.over"
    assert steps["pad hip sides"].why.code == "step.pad.why"
