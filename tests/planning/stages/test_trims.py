"""Trims in a plan: what they come to, what is said of them, and how they flow into making, cut, list and card."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.commands.trims import check_trim, put_trim, take_trim
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.materials.minutes import MINUTES
from fuseau.document.build import read_build
from fuseau.planning.stages.cut import plan_cut
from fuseau.planning.stages.make import make_up, steps_of
from fuseau.planning.stages.record import card
from fuseau.planning.thread import thread
from fuseau.planning.told.needs import needs_of
from fuseau.wording import Words
from tests.conftest import edited
from tests.craft.making.test_garment_state import replay
from tests.kinds import ALL_KINDS, built
from tests.plans import plan

BUILD = built("underbust corset")
SKIRT = {"key": "h1", "name": "skirt", "tiers": [{"depth_mm": 900, "fullness": 2.5}], "cloth": "sateen"}


def said(planned):
    say = Words("cm")
    return {one.where or one.code: say(one.sentence) for one in planned.findings if one.stage == "trims"}


def test_without_trims_there_is_no_plan_of_them_and_the_knot_says_none():
    planned = plan(BUILD)
    assert planned.trims is None
    knot = next(one for one in thread(BUILD, planned).knots if one.stage == "trims")
    assert (knot.state, Words("cm")(knot.note)) == ("empty", "none")


def test_a_skirt_too_heavy_slips_and_a_band_of_its_own_or_straps_help():
    build = edited(BUILD, trims__hanging=[{**SKIRT, "more_grams": 12000}])
    planned = plan(build)
    assert planned.trims.load.word == "slips"
    assert "It slips: " in said(planned)["hold.slips"]
    band, straps, stay = planned.trims.helps
    assert [one.does for one in planned.trims.helps] == ["band", "straps", "stay"]
    # a tape at 20 N bears on her by 2π·20 N, and 0.3 of that is friction
    assert stay.after.holds_n - planned.trims.load.holds_n == pytest.approx(0.3 * 2 * 3.14159 * 20, rel=1e-4)
    stayed = edited(build, trims__waist_stay=True)
    assert plan(stayed).trims.load.holds_n == pytest.approx(stay.after.holds_n)
    bare = edited(BUILD, trims__waist_stay=True, trims__along=[{"key": "t1", "name": "beads", "pitch_mm": 20}])
    assert "trim stay" not in {step.key for step in steps_of(bare, plan(bare))}  # nothing hangs from it
    assert "trim stay" in {step.key for step in steps_of(stayed, plan(stayed))}
    assert band.after.word == "holds"
    assert straps.after.straps_n > 0
    own = plan(edited(build, trims__hanging=[{**SKIRT, "more_grams": 12000, "own_band": True}]))
    assert own.trims.load is None or own.trims.load.word == "holds"
    strapped = plan(edited(build, trims__straps=[{"key": "s1", "over_mm": 380}]))
    assert strapped.trims.load.word == "holds"
    assert strapped.trims.load.straps_n == pytest.approx(straps.after.straps_n)


def test_a_skirt_that_opens_elsewhere_than_the_bodice_is_told():
    assert "skirt" not in said(plan(edited(BUILD, trims__hanging=[{**SKIRT, "opens": "CF"}])))
    side = said(plan(edited(BUILD, trims__hanging=[{**SKIRT, "opens": "side"}])))
    assert side["skirt"] == "It opens at side, the bodice at CF and CB: they have to line up, or she can’t get in."
    assert "opens nowhere" in said(plan(edited(BUILD, trims__hanging=[{**SKIRT, "opens": "nowhere"}])))["skirt"]


def test_what_is_too_little_is_told_and_stops_nothing_else():
    trims = [
        {"key": "t1", "name": "beads", "pitch_mm": 15, "at_hand": 30},
        {"key": "t2", "name": "braid", "line": {"on": "hem"}, "at_hand_mm": "60 cm"},
        {"key": "t3", "name": "far off", "line": {"on": "top line", "in_mm": 290}},
    ]
    planned = plan(edited(BUILD, trims__along=trims))
    told = said(planned)
    assert told["beads"].endswith("pieces are lacking.")
    assert "cm are lacking" in told["braid"]
    assert told["far off"] == "It lies off panel 1."
    assert [one.fault is None for one in planned.trims.along] == [True, True, False]
    assert not planned.unmakeable


@pytest.mark.parametrize(("hem", "hem_mm", "adds"), [("by hand", 24, 24), ("not hemmed", 24, 0)])
def test_the_hem_of_a_circle_is_allowed_for_once(hem, hem_mm, adds):
    circle = {
        "key": "h1",
        "name": "peplum",
        "cut": "circle",
        "hem": hem,
        "hem_mm": hem_mm,
        "tiers": [{"depth_mm": 150}],
    }
    (shown,) = plan(edited(BUILD, trims__hanging=[circle])).trims.hanging
    assert shown.circle.outer_mm == pytest.approx(shown.circle.inner_mm + 150)
    assert shown.circle.outer_cut_mm == pytest.approx(shown.circle.outer_mm + adds)


def test_the_fullness_follows_from_what_is_at_hand():
    frill = {"key": "h1", "name": "frill", "tiers": [{"depth_mm": 60, "fullness": 2}], "at_hand_mm": 200}
    (shown,) = plan(edited(BUILD, trims__hanging=[frill])).trims.hanging
    cloth = BUILD.cloths["sateen"]
    assert shown.at_hand
    assert shown.tiers[0].fullness == pytest.approx(2 * (cloth.usable_mm - 20) / shown.along_mm)
    thin = {"key": "h1", "name": "frill", "tiers": [{"depth_mm": 60, "fullness": 1.2}]}
    assert "skimpy" in said(plan(edited(BUILD, trims__hanging=[thin])))["frill"]
    tiny = plan(edited(BUILD, trims__hanging=[{**frill, "at_hand_mm": 60}]))
    assert tiny.trims.hanging[0].fault.code == "trim.too_little"


def everything():
    return edited(
        BUILD,
        trims__along=[
            {"key": "t1", "name": "beads", "pitch_mm": 15, "grams": 0.3, "price": 0.1, "line": {"in_mm": 8}},
            {"key": "t2", "name": "braid", "line": {"on": "hem"}, "sewn": "by machine"},
        ],
        trims__areas=[{"key": "a1", "name": "vines", "how": "light embroidery", "panels": [3]}],
        trims__flossing=[{"key": "f1", "pattern": "cross"}],
        trims__hanging=[SKIRT, {"key": "h2", "name": "net", "cloth": "organza", "tiers": [{"depth_mm": 300}]}],
        trims__straps=[{"key": "s1", "over_mm": 380}],
        trims__chains=[{"key": "c1", "name": "chain", "grams": 90}],
    )


def test_trims_flow_into_steps_cloth_list_card_and_weight():
    build = everything()
    planned = plan(build)
    steps = {step.key: step for step in steps_of(build, planned)}
    trims = [key for key in steps if key.startswith("trim ")]
    assert trims == [f"trim {key}" for key in ("a1", "t1", "t2", "f1", "h1", "h2", "s1", "c1")]
    assert "cut organza" in steps
    order = make_up(build, planned).order
    at = {key: i for i, key in enumerate(order)}
    assert at["trim a1"] < at["join 3-4"]
    assert at["trim t1"] < min(i for key, i in at.items() if key.startswith("bones in"))
    assert at["trim f1"] > max(i for key, i in at.items() if key.startswith("bones in"))
    assert at["trim h1"] > at["bind hem"]
    assert at["trim s1"] > at["try on"]
    assert steps["trim f1"].later
    works = sum(MINUTES[work] * times for key in trims for work, times in steps[key].works)
    assert works == pytest.approx(planned.trims.minutes)
    pieces = {(cut.cloth, piece.label): piece for cut in plan_cut(build, planned).cloths for piece in cut.pieces}
    tier = planned.trims.hanging[0].tiers[0]
    assert pieces["sateen", "skirt"].count == tier.strips
    assert pieces["organza", "net"].area_mm2 > 0
    needs = {one.article.label: one.amount for one in needs_of(build, planned, {}, ()) if one.stage == "trims"}
    assert needs["beads"] == planned.trims.along[0].laid.count
    assert set(needs) == {"beads", "braid", "chain"}
    facts = {one.name: Words("cm")(one.value) for one in card(build, planned).facts}
    assert facts["trim: beads"] == f"{planned.trims.along[0].laid.count}"
    bare = {one.name: one.number for one in card(BUILD, plan(BUILD)).facts}
    heavy = {one.name: one.number for one in card(build, planned).facts}
    more = planned.trims.grams + planned.trims.hanging_grams
    assert heavy["weight, about"] == pytest.approx(bare["weight, about"] + more)


@settings(max_examples=12)
@given(st.data())
def test_every_order_that_is_allowed_of_a_trimmed_garment_reaches_the_end(data):
    build = everything()
    garment = Garment(steps_of(build, plan(build)))
    done = []
    while allowed := sorted(garment.allowed(set(done))):
        done.append(data.draw(st.sampled_from(allowed)))
    assert set(done) == {step.key for step in garment.steps}
    assert replay(garment.steps, done) is None


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_every_kind_takes_trims(kind):
    build = edited(
        built(kind),
        trims__along=[{"key": "t1", "name": "beads", "pitch_mm": 12}],
        trims__areas=[{"key": "a1", "name": "sequins"}],
        trims__flossing=[{"key": "f1"}],
        trims__hanging=[SKIRT],
        trims__straps=[{"key": "s1", "over_mm": 380, "front_mm": 30, "back_mm": 30}],
    )
    planned = plan(build)
    assert planned.trims.along[0].laid.count > 4
    assert planned.trims.areas[0].laid.count > 10
    assert make_up(build, planned).order


def test_trims_are_put_on_changed_and_taken_off():
    build, at = put_trim(BUILD, "along", {"name": "beads", "pitch_mm": "1,5"}, "cm")
    assert (at, build.trims.along[0].key, build.trims.along[0].pitch_mm) == (0, "t1", 15)
    build, at = put_trim(build, "along", {"key": "t1", "pitch_mm": "2"}, "cm")
    assert (at, build.trims.along[0].name, build.trims.along[0].pitch_mm) == (0, "beads", 20)
    build, at = put_trim(build, "hanging", {"name": "frill"}, "cm")
    assert build.trims.hanging[0].key == "h1"
    assert read_build(build.model_dump(mode="json")) == build
    without = take_trim(build, "t1", "cm")
    assert (without.trims.along, len(without.trims.hanging)) == ((), 1)
    with pytest.raises(Unmakeable):
        take_trim(without, "t1", "cm")
    off, at = put_trim(BUILD, "along", {"name": "far off", "line": {"on": "seam", "seam": 9}}, "cm")
    with pytest.raises(Unmakeable) as caught:
        check_trim(plan(off), "along", at)
    assert caught.value.at == "trims.along.0.line.seam"


@pytest.mark.parametrize(
    ("group", "trim", "at"),
    [
        ("along", {"name": "beads", "pitch_mm": 0}, "pitch_mm"),
        ("along", {"name": ""}, "name"),
        ("hanging", {"tiers": [{"depth_mm": 60, "fullness": 0.5}]}, "tiers.0.fullness"),
        ("hanging", {"cloth": "no such"}, "cloth"),
        ("chains", {"span_mm": 300, "sag_mm": None, "length_mm": 200}, "length_mm"),
        ("chains", {"span_mm": 300, "sag_mm": None, "length_mm": None}, "sag_mm"),
        ("areas", {"name": "x", "spots": [{"panel": 1, "x_mm": 1, "z_mm": 1}]}, "spots"),
        ("straps", {"wide_mm": "wide"}, "wide_mm"),
        ("along", {"name": "x", "line": {"on": "seam"}}, "line.seam"),
    ],
)
def test_what_can_not_be_is_refused_at_its_field(group, trim, at):
    from pydantic import ValidationError

    from fuseau.wording.faults import faults

    with pytest.raises(ValidationError) as caught:
        put_trim(BUILD, group, trim, "cm")
    assert faults(caught.value)[0].at == f"trims.{group}.0.{at}"


def test_what_lies_on_both_halves_is_mirrored():
    planned = plan(everything())
    for one in (*planned.trims.along, *planned.trims.hanging):
        assert one.parts == one.left_parts
    right = plan(edited(BUILD, trims__along=[{"key": "t1", "name": "braid", "line": {"half": "right"}}]))
    assert (len(right.trims.along[0].parts), right.trims.along[0].left_parts) == (6, ())
    wider = edited(BUILD, trims__along=[{"key": "t1", "name": "braid"}], trims__hanging=[SKIRT])
    lefts = plan(wider).trims
    assert lefts.along[0].laid.halves == 2


def test_a_cloth_that_only_a_skirt_is_cut_from_is_one_to_cut_on_every_page():
    build = edited(BUILD, trims__hanging=[{**SKIRT, "cloth": "taffeta"}])
    planned = plan(build)
    assert "cut taffeta" in {step.key for step in steps_of(build, planned)}
    assert build.cloths_to_cut == {ply.cloth for ply in BUILD.layers.plies} | {"taffeta"}
    note = next(Words("cm")(one.note) for one in thread(build, planned).knots if one.stage == "cut")
    assert note == f"{len(build.cloths_to_cut)} cloths"
    done = edited(build, record__finished_on="2026-11-20")
    assert done.cut_cloths == build.cloths_to_cut


def cut_of(cloth, *frills):
    return {cloth: {"on": "2026-11-20", "version": None, "pieces": 9, "frills": list(frills)}}


def test_a_skirt_of_a_cloth_that_was_cut_before_it_is_told():
    build = edited(BUILD, trims__hanging=[SKIRT])
    late = build.model_copy(update={"cut": type(build.cut).model_validate({"done": cut_of("sateen")})})
    assert said(plan(late))["skirt"].startswith("Cotton sateen was cut before this was put on")
    along = build.model_copy(update={"cut": type(build.cut).model_validate({"done": cut_of("sateen", "h1")})})
    assert "skirt" not in said(plan(along))


def test_frills_take_their_time_to_be_cut_of_whichever_cloth():
    def minutes(build):
        steps = {step.key: step for step in steps_of(build, plan(build))}
        return sum(MINUTES[work] * times for work, times in steps["cut sateen"].works)

    more = minutes(edited(BUILD, trims__hanging=[SKIRT])) - minutes(BUILD)
    tier = plan(edited(BUILD, trims__hanging=[SKIRT])).trims.hanging[0].tiers[0]
    assert more == pytest.approx(MINUTES["cut a ply"] * tier.strips / 2)


def test_a_garment_that_nothing_hangs_from_is_not_weighed_against_its_hold():
    light = edited(BUILD, trims__along=[{"key": "t1", "name": "beads", "pitch_mm": 9, "grams": 2}])
    assert plan(light).trims.load is None


def test_the_knot_is_settled_once_every_trim_is_put_on():
    build = edited(BUILD, trims__flossing=[{"key": "f1"}])

    def state(made):
        return next(one.state for one in thread(made, plan(made)).knots if one.stage == "trims")

    assert state(build) == "in hand"
    every = [{"step": step.key, "on": "2026-11-20"} for step in steps_of(build, plan(build))]
    assert state(edited(build, make__done=every)) == "settled"
    assert state(edited(build, record__finished_on="2026-11-20")) == "settled"
