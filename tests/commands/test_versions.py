"""Versions: compared, named, gone back to; and the thread that says how far a build is."""

import math

import numpy as np
import pytest

from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import accept, cut_version, go_back
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.pattern.alterations import alter, between, compare
from fuseau.document.build import Build
from fuseau.planning.thread import thread
from tests.conftest import TODAY, edited
from tests.planning.test_pipeline import READINGS
from tests.plans import plan
from tests.saying import refused, said


@pytest.fixture
def two(measured):
    """A build with two versions, the second from a fitting of the first."""
    first = cut_version(measured, plan(measured), TODAY)
    tried = log_fitting(first, plan(first), {"pull": "close", "readings": READINGS}, TODAY, "cm")
    return accept(tried, plan(tried), TODAY)


def test_a_comparison_says_what_the_alteration_did(two):
    one, other = (version.pattern for version in two.versions)
    found = compare(one, other)
    assert found.same_cut
    assert [level.name for level in found.levels] == ["underbust", "ribs", "waist", "high_hip", "hip"]
    change = {level.name: level.after_mm - level.before_mm for level in found.levels}
    by_seam = dict.fromkeys(change, 0.0)
    for seam in between(one, other).seams:
        for station, cf, cb in zip(one.stations, seam.cf_side_mm, seam.cb_side_mm, strict=True):
            by_seam[station.name] += 2 * (cf + cb)
    assert by_seam == pytest.approx(change, abs=1e-6)
    assert {(mark.seam, mark.level) for mark in found.seams} == {
        (mark.seam, mark.level) for mark in compare(other, one).seams
    }
    assert found.edges == ()


def test_the_alteration_between_two_versions_leads_from_one_to_the_other(two):
    one, other = (version.pattern for version in two.versions)
    assert np.asarray(alter(one, between(one, other)).shape.edges) == pytest.approx(other.shape.edges)


def test_a_pattern_compared_with_itself_has_not_changed(two):
    found = compare(two.versions[0].pattern, two.versions[0].pattern)
    assert (found.seams, found.edges) == ((), ())


def test_another_cut_is_compared_by_its_girths_only(two):
    build = edited(two, draft__panels=4, draft__hem__cf_mm="13 cm")
    third = accept(build, plan(build), TODAY)
    found = compare(third.versions[1].pattern, third.versions[2].pattern)
    assert not found.same_cut
    assert found.seams == ()
    (hem,) = found.edges
    assert (hem.edge, hem.place) == ("hem", "CF")
    assert hem.moved_mm == pytest.approx(-130 - third.versions[1].pattern.hem.cf_mm)
    with pytest.raises(ValueError, match="another cut"):
        between(third.versions[1].pattern, third.versions[2].pattern)


def test_going_back_makes_a_new_version_of_the_old_pattern(two):
    back = go_back(two, 1, TODAY)
    assert [version.number for version in back.versions] == [1, 2, 3]
    assert back.versions[2].pattern == two.versions[0].pattern
    assert (back.versions[2].parent, back.versions[2].reason) == (1, "back to version 1")
    # what the fitting taught stands, so the same change is proposed again
    proposal = plan(back).proposal
    assert proposal is not None
    assert proposal.pattern.shape.edges == pytest.approx(two.versions[1].pattern.shape.edges, abs=0.05)


@pytest.mark.parametrize(("number", "says"), [(2, "present one"), (9, "no version 9")])
def test_going_nowhere_is_refused(two, number, says):
    with refused(says):
        go_back(two, number, TODAY)


def test_a_version_is_named_but_its_pattern_is_not_touched(two):
    named = edited(two, versions__0__name="first calico", versions__0__note="pinned in the dark")
    assert named.versions[0].name == "first calico"
    assert named.versions[0].pattern == two.versions[0].pattern
    with pytest.raises(Unmakeable):
        edited(two, versions__0__pattern=None)


def test_numbers_by_letter_widen_the_spread_until_they_are_checked(measured):
    letter = edited(measured, wearer__hip__unconfirmed=True)
    spreads = [plan(build).body["hip"].spread_mm for build in (measured, letter)]
    field, tape = measured.practice.between_spread_mm, measured.practice.tape_common_mm
    assert spreads == pytest.approx([math.hypot(own, field, tape) for own in (7, 12)])


def test_front_arcs_move_the_side_seam(measured):
    usual = plan(measured)
    more = plan(edited(measured, wearer__waist__front_arc_mm="38 cm"))
    fronts = [sum(panel.widths_mm["waist"] for panel in found.pattern.panels[:3]) for found in (usual, more)]
    assert fronts[1] - fronts[0] > 8
    swings = [level.swing_mm for level in more.levels if level.swing_mm is not None]
    assert max(map(abs, swings)) < 4


def test_the_thread_tells_each_stage_and_the_next_step(measured, two):
    def told(build: Build):
        strand = thread(build, plan(build))
        return said(strand.next_step), {knot.stage: knot.state for knot in strand.knots}

    step, states = told(Build())
    assert "Measure" in step
    assert (states["wearer"], states["pattern"], states["mockups"]) == ("empty", "empty", "empty")
    step, states = told(measured)
    assert step == "Cut version 1 for a mock-up."
    assert (states["wearer"], states["pattern"]) == ("settled", "in hand")
    first = cut_version(measured, plan(measured), TODAY)
    assert told(first)[0] == "Try version 1 on and read the gap."
    tried = log_fitting(first, plan(first), {"pull": "close", "readings": READINGS}, TODAY, "cm")
    step, states = told(tried)
    assert step == said(plan(tried).verdict.sentence)
    assert step.startswith("Make version 2 and try it on: of 100 garments cut from it now ")
    assert states["mockups"] == "look again"
    assert told(two)[0].startswith("Try version 2 on: ")
    assert told(edited(two, draft__hem__cf_mm="17 cm"))[1]["pattern"] == "look again"
