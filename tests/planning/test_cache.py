"""What is kept of a plan: it equals what is worked out anew, and no stage sees more than its record."""

import dataclasses
import inspect
import typing

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.commands.bones import cut_bones
from fuseau.commands.fields import change
from fuseau.commands.fittings import log_fitting
from fuseau.commands.patterns import edit_pattern
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.base.errors import CraftError
from fuseau.craft.base.findings import Change
from fuseau.craft.materials.catalogue import BONES, GROMMETS
from fuseau.document.build import Build
from fuseau.planning.asked.readiness import ready
from fuseau.planning.cache import StageCache
from fuseau.planning.fittings.story import story
from fuseau.planning.pipeline import believed, plan
from fuseau.planning.stages.wearer import MeasuredInputs, measured_body
from tests.conftest import TODAY, edited
from tests.kinds import ALL_KINDS, built

FIELDS = st.one_of(
    st.tuples(st.just("brief.note"), st.text(max_size=8)),
    st.tuples(st.just("brief.alone"), st.booleans()),
    st.tuples(st.just("wearer.softness"), st.sampled_from(["lean", "average", "soft"])),
    st.tuples(st.just("wearer.waist.readings_mm"), st.lists(st.floats(660, 740), min_size=1, max_size=2)),
    st.tuples(st.just("target.gap_mm"), st.floats(10, 70)),
    st.tuples(st.just("target.pull"), st.sampled_from(["light", "close", "firm"])),
    st.tuples(st.just("practice.edge_beam_mm"), st.floats(16, 79)),
    st.tuples(st.just("practice.pull_spread"), st.floats(0.1, 0.4)),
    st.tuples(st.just("layers.lining_mm"), st.floats(0, 1)),
    st.tuples(st.just("mock_up.boned"), st.booleans()),
    st.tuples(st.just("bones.lacing_edge"), st.sampled_from(sorted(BONES))),
    st.tuples(st.just("bones.seams"), st.sampled_from(sorted(BONES))),
    st.tuples(st.just("back.holes"), st.sampled_from(sorted(GROMMETS))),
    st.tuples(st.just("back.pitch_mm"), st.one_of(st.none(), st.floats(18, 44))),
    st.tuples(st.just("front.opening"), st.sampled_from(["busk", "zip", "hooks", "lacing", "none"])),
    st.tuples(st.just("front.line"), st.sampled_from(["CF", "side"])),
    st.tuples(st.just("draft.hem.side_mm"), st.floats(50, 80)),
    st.tuples(st.just("stand.waist_mm"), st.floats(640, 760)),
)
STEPS = st.one_of(FIELDS, st.tuples(st.sampled_from(["cut", "fit", "accept", "edit", "bones"]), st.floats(-12, 12)))


def stepped(build: Build, what: str, value: typing.Any) -> Build:
    """The build after one step; where it can't be taken, as it was."""
    planned = plan(build)
    try:
        if what == "cut":
            return build if build.versions else cut_version(build, planned, TODAY)
        if what == "fit" and planned.mock_up is not None:
            at = planned.mock_up
            ends = at.z_mm[0] + 6, 0.0 if at.z_mm[0] < 0 else at.z_mm[30], at.z_mm[-1] - 6
            gaps = [{"z_mm": z, "gap_mm": max(0.0, at.gap_at(z) + float(value))} for z in ends]
            return log_fitting(build, planned, {"pull": "close", "readings": gaps}, TODAY, "cm")
        if what == "accept":
            return accept(build, planned, TODAY)
        if what == "edit":
            return edit_pattern(build, planned, [{"kind": "seam", "seam": 2, "at_mm": 0, "amount_mm": 3}], TODAY, "cm")
        if what == "bones":
            return cut_bones(build, planned)
        return change(build, [Change(at=what, value=value)], "cm")
    except (CraftError, ValueError):
        return build


@settings(max_examples=5)
@given(st.sampled_from(ALL_KINDS), st.lists(STEPS, min_size=2, max_size=6))
def test_after_any_steps_what_is_kept_is_what_is_worked_out_anew(kind, steps):
    build, cache = built(kind), StageCache()
    plan(build, cache=cache)
    for what, value in steps:
        build = stepped(build, what, value)
        assert plan(build, cache=cache) == plan(build)


@pytest.fixture(scope="module")
def fitted() -> Build:
    build = cut_version(built("underbust corset"), plan(built("underbust corset")), TODAY)
    readings = [{"z_mm": z, "gap_mm": gap} for z, gap in ((90, 62), (0, 71), (-110, 58))]
    build = log_fitting(build, plan(build), {"pull": "close", "readings": readings}, TODAY, "cm")
    return accept(build, plan(build), TODAY)


def test_every_stage_is_a_function_of_one_frozen_record_and_none_takes_the_build(fitted):
    cache = StageCache()
    ready(fitted, cache=cache)
    story(fitted, cache=cache)
    assert len(cache._results) >= 19
    for stage in cache._results:
        (given_,) = inspect.signature(stage).parameters.values()
        record = typing.get_type_hints(stage)[given_.name]
        assert dataclasses.is_dataclass(record), stage
        assert record.__dataclass_params__.frozen, stage
        assert Build not in typing.get_type_hints(record).values(), stage


@pytest.mark.parametrize(
    ("at", "value", "runs"),
    [
        ("brief.note", "velvet, she says", 0),
        ("brief.heat", "hot", 0),
        ("wearer.name", "Ottilie", 1),  # the body is read anew, and is the same
        ("stand.waist_mm", 690, 0),
        ("back.pitch_mm", 30, 3),  # holes of this version and of the one before, and the lace through them
        ("bones.seams", "flat_6", 6),
        ("cut.fold", ["coutil"], 0),
    ],
)
def test_an_edit_runs_only_what_it_touches(fitted, at, value, runs):
    cache = StageCache()
    plan(fitted, cache=cache)
    before = cache.runs
    plan(change(fitted, [Change(at=at, value=value)], "cm"), cache=cache)
    assert cache.runs - before <= runs


def test_what_was_worked_out_is_not_worked_out_again(fitted):
    cache = StageCache()
    plan(fitted, cache=cache)
    again = cache.runs
    plan(fitted, cache=cache)
    assert cache.runs == again
    odds = ready(fitted, cache=cache)
    again = cache.runs
    assert ready(fitted, cache=cache) == odds
    assert cache.runs == again


def test_the_plan_and_the_story_learn_with_the_same_edge(fitted):
    wide = edited(fitted, back__holes="grommet_5", practice__edge_beam_mm=24)
    narrow = edited(wide, back__holes="worked_4")
    for build in (wide, narrow):
        belief, _ = believed(build, StageCache())
        told = story(build)[-1].levels
        assert [one.girth_mm for one in told] == pytest.approx([one.girth_mm for one in belief.body][::-1])
        assert measured_body(MeasuredInputs.of(build)) == measured_body(MeasuredInputs.of(wide))


def test_no_more_is_kept_than_was_asked_for():
    cache = StageCache(most=2)
    ran = []

    def stage(inputs: int) -> int:
        ran.append(inputs)
        return inputs * inputs

    for one in (1, 2, 1, 3, 1, 2):
        assert cache.run(stage, one) == one * one
    assert ran == [1, 2, 3, 2]
