"""The pipeline from a Build to its Plan, and the decisions between (issue 2; model throughout)."""

import json
import re

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import ValidationError

from fuseau.commands.fields import change
from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.document.build import Build
from fuseau.planning.cache import StageCache
from fuseau.planning.thread import thread
from fuseau.store.opening import open_database
from fuseau.store.workshop import Workshop
from fuseau.wording.faults import faults
from tests.conftest import edited
from tests.plans import plan
from tests.saying import refused, said
from tests.serving import copied

READINGS = [{"z_mm": z, "gap_mm": gap} for z, gap in (("9.5", "3.2 cm"), ("0", "4.4"), ("-11", "5.9"))]


def test_a_new_build_asks_for_its_measures():
    planned = plan(Build())
    assert planned.missing == ("underbust", "waist", "hip")
    assert planned.pattern is None
    strand = thread(Build(), planned)
    assert strand.next_stage == "wearer"
    assert "Measure the underbust, waist and hip" in said(strand.next_step)


def test_the_plan_has_what_the_command_line_promises(measured):
    data = json.loads(plan(measured).model_dump_json())
    level = data["levels"][0]
    for key in ("name", "z_mm", "body_mm", "closed_mm", "worn_mm", "gap_mm", "pressure_kpa", "comfort_kpa"):
        assert key in level
    assert "stand_off_mm" in level
    panel = data["pattern"]["panels"][0]
    assert set(panel["widths_mm"]) == {"underbust", "ribs", "waist", "high_hip", "hip"}
    assert len(panel["outline"]) > 20
    assert {"cf_side_before_mm", "cb_side_before_mm", "cf_side_mm", "cb_side_mm"} <= set(data["seams"][0])
    assert {"channel", "kind", "width_mm", "length_mm", "channel_width_mm", "path_mm"} <= set(data["bones"][0])
    assert data["busk"]["intervals"]
    assert data["holes"]["z_mm"]
    assert data["lace_mm"] > 1000
    assert isinstance(data["findings"], list)
    assert data["gap_shape"]["shape"] == "parallel"


def test_the_same_build_gives_the_same_plan(measured):
    assert plan(measured) == plan(measured)


@pytest.fixture(scope="module")
def demo_builds(demo_database, tmp_path_factory) -> list[Build]:
    database = copied(demo_database, tmp_path_factory.mktemp("demo") / "copy")
    return [one.build for one in Workshop(open_database(database)).builds()]


def test_in_inches_no_sentence_speaks_in_millimetres_but_of_a_bought_section(demo_builds):
    for build in demo_builds:
        soft = edited(build, bones__lacing_edge="synthetic_7")
        narrow = edited(build, draft__allowances__cb_mm=10.0)
        for one in (build, soft, narrow):
            planned = plan(one)
            told = [finding.sentence for finding in planned.findings]
            told += [planned.proposal.reason] if planned.proposal else []
            for sentence in (said(one, "in") for one in told):
                assert not re.search(r"\d (mm|cm)\b", re.sub(r"[\d.]+ × [\d.]+ mm", "", sentence)), sentence


def test_the_reason_for_a_next_version_is_in_the_makers_unit(demo_builds):
    tried = next(build for build in demo_builds if build.fittings)
    in_cm = in_inches = plan(tried).proposal
    assert in_cm
    assert re.search(r"[\d.]+ cm (bigger|smaller) than the tape said", said(in_cm.reason))
    assert re.search(r"[\d /]+ in (bigger|smaller) than the tape said", said(in_inches.reason, "in"))


def test_stages_whose_inputs_stand_are_kept(measured):
    kept = StageCache()
    first = plan(measured, cache=kept)
    moved = edited(measured, front__opening="none", brief__name="Other")
    second = plan(moved, cache=kept)
    assert second.pattern == first.pattern
    assert second.final is first.final
    assert second == plan(moved)


def test_a_corset_of_four_girths_settles_parallel_at_fifty(measured):
    found = plan(measured)
    assert found.gap_shape.mean_mm == pytest.approx(50, abs=0.5)
    waist = next(level for level in found.levels if level.name == "waist")
    stretch = 1 + found.aim.pull_n_per_m / 100_000 + CLOTHS["coutil"].usually_more
    assert waist.worn_mm == pytest.approx(waist.closed_mm * stretch + waist.gap_mm)
    assert waist.squeezed_mm == pytest.approx(waist.worn_mm - found.final.take_up_mm)


def test_versions_are_cut_tried_altered_and_stay_as_they_were(measured, today):
    planned = plan(measured)
    first = cut_version(measured, planned, today)
    assert plan(first).proposal is None
    with refused("cut already"):
        cut_version(first, planned, today)
    with refused("no change to accept"):
        accept(first, plan(first), today)

    tried = log_fitting(first, plan(first), {"pull": "close", "readings": READINGS}, today, "cm")
    assert [reading.z_mm for reading in tried.fittings[0].readings] == [95, 0, -110]
    proposed = plan(tried).proposal
    assert proposed.fitting == 1
    assert {mark.kind for mark in proposed.marks} == {"take in", "let out"}
    assert abs(proposed.final.shape.tilt_mm) < 1
    assert proposed.final.shape.mean_mm == pytest.approx(50, abs=1)

    second = accept(tried, plan(tried), today)
    assert second.versions[0] == first.versions[0]
    assert (second.versions[1].parent, second.versions[1].fitting) == (1, 1)
    assert "than the tape said" in second.versions[1].reason
    after = plan(second)
    assert after.proposal is None
    assert after.pattern.version == 2
    for name, mm in proposed.sewn_change_mm.items():
        old = next(level.closed_mm for level in plan(first).levels if level.name == name)
        new = next(level.closed_mm for level in after.levels if level.name == name)
        assert (new is None) == (old is None)
        if new is not None:
            assert new - old == pytest.approx(mm, abs=1e-6)


def test_a_fitting_of_a_draft_cuts_version_one(measured, today):
    tried = log_fitting(measured, plan(measured), {"pull": "firm", "readings": READINGS}, today, "cm")
    assert [version.number for version in tried.versions] == [1]
    assert tried.fittings[0].version == 1


def test_more_panels_after_a_version_is_a_new_draft(measured, today):
    build = edited(cut_version(measured, plan(measured), today), draft__panels=4)
    proposal = plan(build).proposal
    assert proposal.redraft
    assert len(accept(build, plan(build), today).versions[1].pattern.panels) == 4


def test_moving_the_hem_proposes_a_version(measured, today):
    build = edited(cut_version(measured, plan(measured), today), draft__hem__cf_mm="12 cm")
    proposal = plan(build).proposal
    assert proposal.edges_change
    assert proposal.pattern.hem.cf_mm == -120


def test_every_offered_mend_removes_its_finding(measured):
    troubled = {
        "reduction": edited(measured, target__reduction_percent="18"),
        "soft_edges": edited(measured, target__reduction_percent="10", bones__lacing_edge="cable_tie_8"),
        "hem_on_lap": edited(measured, draft__hem__cf_mm="18 cm"),
        "no_busk_fits": edited(measured, draft__top__cf_mm="7 cm", draft__hem__cf_mm="8 cm"),
        "pull": edited(measured, target__reduction_percent="3", target__pull="firm"),
    }
    for code, build in troubled.items():
        finding = next(finding for finding in plan(build).findings if finding.code == code)
        mended = plan(change(build, list(finding.mend.changes), "cm"))
        assert code not in {one.code for one in mended.findings}, code


def test_flat_steel_is_offered_for_soft_edges_with_its_effect(measured):
    build = edited(measured, target__reduction_percent="10", bones__lacing_edge="cable_tie_8")
    finding = next(finding for finding in plan(build).findings if finding.code == "soft_edges")
    assert finding.numbers["bow_mm"] > 5
    assert abs(finding.numbers["mended_bow_mm"]) < 1
    assert "flat steel 12 × 1.0 mm brings it to 0" in said(finding.sentence)


@pytest.mark.parametrize(
    ("at", "value", "field", "says"),
    [
        ("wearer.waist.readings_mm", ["seventy"], "wearer.waist.readings_mm.0", "is not a length"),
        ("wearer.waist.readings_mm", ["70 cm 2 in"], "wearer.waist.readings_mm.0", "two units"),
        ("wearer.waist.readings_mm", ["7 cm"], "wearer.waist.readings_mm.0", "40.0 to 200.0 cm"),
        ("wearer.ribs.height_side_mm", "12", "wearer.underbust.height_side_mm", "further from the waist"),
        ("draft.top.cf_mm", "-3", "draft.top.cf_mm", "below zero"),
        ("draft.panels", 0, "draft.panels", "goes from 2 to 9"),
        ("target.gap_mm", "25 cm", "target.gap_mm", "0.0 to 20.0 cm"),
        ("target.reduction_percent", "forty", "target.reduction_percent", "goes from 0 to 30"),
        ("brief.needed_on", "next week", "brief.needed_on", "year-month-day"),
        ("target.pull", "hard", "target.pull", "has to be one of"),
    ],
)
def test_bad_input_is_told_at_its_field_in_one_sentence(measured, at, value, field, says):
    with pytest.raises(ValidationError) as caught:
        change(measured, [Change(at=at, value=value)], "cm")
    (fault,) = faults(caught.value)
    assert fault.at == field
    assert says in said(fault.sentence)


@pytest.mark.parametrize("gap_mm", [80, 150, 190])
def test_a_wide_gap_on_a_small_waist_comes_out_of_every_panel(measured, gap_mm):
    small = edited(measured, wearer__waist__readings_mm=[590], wearer__underbust__readings_mm=[643])
    small = edited(small, wearer__ribs__readings_mm=[620], wearer__high_hip__readings_mm=[710])
    planned, usual = (plan(edited(small, target__gap_mm=gap)) for gap in (gap_mm, 50))
    assert not planned.unmakeable
    assert planned.gap_shape.mean_mm == pytest.approx(gap_mm, abs=0.5)
    widths, before = (one.drafted.shape.widths(np.array([0.0]))[0] for one in (planned, usual))
    assert widths.min() >= 15 - 1e-6
    assert (widths < before + 0.1).all()
    assert widths.sum() == pytest.approx(before.sum() - (gap_mm - 50) / 2, abs=0.5)


@pytest.mark.parametrize("at", ["versions", "versions.0.reason", "format", "nothing.here", "wearer.elbow.readings_mm"])
def test_what_is_not_for_changing_is_refused(measured, at):
    with pytest.raises((Unmakeable, ValidationError)):
        change(measured, [Change(at=at, value="x")], "cm")


@pytest.mark.parametrize(
    ("readings", "says"),
    [
        (READINGS[:2], "three heights"),
        ([*READINGS, {"z_mm": "30", "gap_mm": "40 mm"}], "outside the lacing edge"),
        ([*READINGS, {"z_mm": "0", "gap_mm": "70 mm"}], "two readings at 0.0 cm"),
        ([*READINGS, {"z_mm": "2", "gap_mm": "-4"}], "below zero"),
    ],
)
def test_a_fitting_that_cannot_be_is_told_at_its_reading(measured, today, readings, says):
    with pytest.raises(ValidationError) as caught:
        log_fitting(measured, plan(measured), {"pull": "close", "readings": readings}, today, "cm")
    fault = faults(caught.value)[0]
    assert fault.at.startswith("fittings.0.readings")
    assert says in said(fault.sentence)


@settings(max_examples=12)
@given(
    girths=st.tuples(*(st.integers(-60, 120) for _ in range(4))),
    panels=st.integers(4, 7),
    percent=st.floats(0, 30),
    gap=st.floats(0, 70),
    edge=st.sampled_from(["flat_12", "synthetic_7", "cable_tie_8"]),
)
def test_whatever_is_wished_the_plan_is_finite_and_the_rows_are_mirrored(girths, panels, percent, gap, edge):
    build = Build()
    for name, mm in zip(("underbust", "waist", "high_hip", "hip"), girths, strict=True):
        usual = {"underbust": 770, "waist": 700, "high_hip": 880, "hip": 960}[name]
        build = edited(build, **{f"wearer__{name}__readings_mm": [usual + mm]})
    build = edited(
        build, draft__panels=panels, target__reduction_percent=percent, target__gap_mm=gap, bones__lacing_edge=edge
    )
    found = plan(build)
    text = found.model_dump_json()  # refuses NaN and infinity
    assert "NaN" not in text
    assert found.pattern is not None or found.unmakeable
    if found.holes:
        assert found.holes.count == 2 * len(found.holes.z_mm)
        assert all(bone.length_mm <= bone.path_mm for bone in found.bones)
        assert min(found.final.gap_mm) >= 0
