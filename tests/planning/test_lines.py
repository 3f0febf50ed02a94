"""What is listed is what is drawn is what is made; refused whole, a change leaves the pattern as it was (model, 6)."""

import numpy as np
import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from fuseau.commands.fittings import set_line
from fuseau.commands.versions import accept
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.alterations import SeamChange, alter, between, listed_stations
from tests.cases.sweeps import cut, read
from tests.conftest import TODAY
from tests.kinds import ALL_KINDS
from tests.plans import plan

LACED = [kind for kind in ALL_KINDS if kind != "neck corset"]
PRACTICE = Practice()


def amounts(pattern, change):
    """By seam and level, both edges, of all that an alteration does at the levels that are told."""
    stations = [(i, pattern.stations[i].name) for i in listed_stations(pattern)]
    return {
        (one.seam, name): (one.cf_side_mm[i], one.cb_side_mm[i])
        for one in change.seams
        for i, name in stations
        if max(abs(one.cf_side_mm[i]), abs(one.cb_side_mm[i])) > 0.05
    }


@settings(max_examples=12)
@given(st.sampled_from(LACED), st.floats(-18, 40), st.floats(-15, 15))
def test_what_is_listed_is_what_is_made_in_amounts_that_shears_hold(kind, off, lean):
    build = read(cut(kind), lambda z: off + lean * z / 150)
    proposal = plan(build).proposal
    assume(proposal is not None)
    before = build.current.pattern
    listed = {(one.seam, one.level): (one.cf_side_mm, one.cb_side_mm) for one in proposal.lines}
    made = amounts(before, between(before, proposal.pattern))
    assert made.keys() == listed.keys()
    for place, sides in listed.items():
        assert made[place] == pytest.approx(sides, abs=0.1)
        for mm in sides:
            assert mm == 0 or abs(mm) >= PRACTICE.least_edge_mm - 1e-6
            assert mm / PRACTICE.change_step_mm == pytest.approx(round(mm / PRACTICE.change_step_mm), abs=1e-6)
    drawn = {(mark.seam, mark.level) for mark in proposal.marks}
    assert drawn == {(one.label, one.level) for one in proposal.lines}
    accepted = accept(build, plan(build), TODAY).current.pattern
    assert np.abs(np.array(accepted.shape.edges) - np.array(proposal.pattern.shape.edges)).max() < 1e-9


@settings(max_examples=6)
@given(st.sampled_from(LACED), st.floats(12, 40))
def test_all_lines_refused_leave_the_pattern_as_it_was(kind, off):
    build = read(cut(kind), lambda z: off)
    assume(plan(build).proposal is not None)
    for line in plan(build).proposal.lines:
        refused = {"seam": line.seam, "level": line.level, "cf_side_mm": "0 mm", "cb_side_mm": "0 mm"}
        build = set_line(build, plan(build), refused, "cm")
    proposal, before = plan(build).proposal, build.current.pattern
    z = np.linspace(min(before.hem.heights()), max(before.top.heights()), 40)
    after = proposal.pattern if proposal else before
    assert after.shape.across(z) == pytest.approx(before.shape.across(z), abs=0.05)


def test_small_shares_go_to_the_seams_that_change_and_the_girth_comes_to_what_was_wanted():
    from fuseau.craft.fitting.worth_making import worth_making
    from fuseau.craft.pattern.alterations import Alteration

    pattern = cut("underbust corset").current.pattern
    stations = len(pattern.stations)
    small = tuple(
        SeamChange(seam=k, cf_side_mm=(0.3 + 0.2 * k,) * stations, cb_side_mm=(0.4,) * stations)
        for k in range(1, len(pattern.panels))
    )
    change = Alteration(seams=small)
    made = worth_making(pattern, change, PRACTICE)
    wanted, got = (alter(pattern, one).shape.half_girth(pattern.shape.nominal) for one in (change, made))
    assert got == pytest.approx(wanted, abs=PRACTICE.change_step_mm)
    sides = [mm for one in made.seams for mm in (*one.cf_side_mm, *one.cb_side_mm)]
    assert 0.0 in sides
    assert all(mm == 0 or abs(mm) >= PRACTICE.least_edge_mm for mm in sides)
