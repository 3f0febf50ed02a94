"""The lacing walk, what holes carry, the panel behind them and the tape at the waist (model, section 9)."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.base.practice import Practice
from fuseau.craft.closures.back import (
    BackChoices,
    carried,
    check_holes,
    check_modesty,
    modesty_panel,
    usual_pitch,
    waist_tape,
)
from fuseau.craft.closures.front import SewnShut
from fuseau.craft.closures.lacing import usual_pattern, walk, walk_length
from fuseau.craft.closures.rows import rows
from fuseau.craft.materials.catalogue import BONES, GROMMETS
from tests.saying import refused, said

PRACTICE = Practice()
PATTERNS = ("cross with pull loops", "cross", "spiral")
EXAMPLE = (150, 122.4, 94.8, 67.2, 39.6, 12, -12, -37, -62, -87, -112)
BACKS = st.tuples(st.floats(60, 200), st.floats(60, 200), st.floats(18, 45)).map(
    lambda one: rows(one[0], -one[1], one[2], PRACTICE)
)


@pytest.mark.parametrize("pattern", PATTERNS)
@given(heights=BACKS, gap=st.floats(0, 250))
def test_a_walk_goes_through_every_hole_once_and_is_as_long_as_its_formula(pattern, heights, gap):
    steps = walk(heights, gap, 12, pattern, 450)
    holes = [(step.to.row, step.to.side) for step in steps]
    assert sorted(holes) == sorted({(row, side) for row in range(len(heights)) for side in ("left", "right")})
    width, pitches = gap + 24, [a - b for a, b in zip(heights, heights[1:], strict=False)]
    slants = [math.hypot(width, pitch) for pitch in pitches]
    if pattern == "spiral":
        formula = len(heights) * width + sum(slants)
    else:
        pair = [pattern == "cross with pull loops" and a > 0 > b for a, b in zip(heights, heights[1:], strict=False)]
        formula = 2 * width + 2 * sum(slant for slant, skip in zip(slants, pair, strict=True) if not skip)
    assert walk_length(heights, gap, 12, pattern, 0, 0) == pytest.approx(formula)
    assert walk_length(heights, gap, 12, pattern, 900, 300) == pytest.approx(formula + 1200)


@given(heights=BACKS)
def test_crossed_ends_change_sides_at_every_row_but_the_pair_and_loops_are_at_the_waist(heights):
    steps = walk(heights, 50, 12, "cross with pull loops", 450)
    loops = [step for step in steps if step.way == "loop"]
    assert len(loops) == 2
    assert {step.to.side for step in loops} == {"left", "right"}
    assert all(heights[step.to.row] < 0 < heights[step.to.row - 1] for step in loops)
    assert all(step.lace_mm == 450 for step in loops)
    for end in ("left end", "right end"):
        sides = [step.to.side for step in steps if step.end == end]
        ways = [step.way for step in steps if step.end == end]
        start = "left" if end == "left end" else "right"
        for before, side, way in zip([start, *sides], sides, ways, strict=False):
            assert (before == side) == (way == "loop")


def test_the_example_of_the_trade_comes_out():
    assert walk_length(EXAMPLE, 50, 12, "cross with pull loops", 0, 0) == pytest.approx(1563, abs=0.6)
    assert walk_length(EXAMPLE, 250, 12, "cross with pull loops", 0, 0) == pytest.approx(5503, abs=0.6)
    assert usual_pattern(True) == "cross with pull loops"
    assert usual_pattern(False) == "cross"


@given(heights=BACKS, pull=st.floats(20, 400))
def test_what_rows_carry_adds_up_to_the_whole_pull(heights, pull):
    top, hem = heights[0] + 20, heights[-1] - 20
    found = carried(heights, top, hem, pull)
    assert sum(row.carries_n for row in found) == pytest.approx(pull * (top - hem) / 1000)
    assert all(row.carries_n > 0 for row in found)


@pytest.mark.parametrize(("pull", "pitch"), [(50, 34), (180, 26), (320, 22)])
def test_rows_lie_closer_where_the_pull_is_hard(pull, pitch):
    assert usual_pitch(pull, PRACTICE) == pitch


def test_weak_holes_are_told_with_one_that_holds():
    hard = carried(rows(110, -130, 34, PRACTICE), 110, -130, 380)
    (torn,) = check_holes(hard, GROMMETS["eyelet_5"])
    assert torn.code == "holes_tear"
    better = GROMMETS[torn.mend.changes[0].value]
    assert check_holes(hard, better) == []


@given(gap=st.floats(0, 150), closed=st.floats(450, 900))
def test_a_modesty_panel_covers_the_widest_gap_and_both_edges(gap, closed):
    panel = modesty_panel(BackChoices(), gap, 105, -128, closed, 400, BONES["flat_6"], PRACTICE)
    assert panel.width_mm == pytest.approx(gap + 60)
    assert panel.height_mm == pytest.approx(223)
    assert panel.covers_waist_mm == pytest.approx(closed + panel.width_mm - 60)
    assert max(panel.bones_along_mm) < panel.height_mm
    assert max(panel.bones_across_mm) < panel.width_mm
    assert modesty_panel(BackChoices(modesty="none"), gap, 105, -128, closed, 400, BONES["flat_6"], PRACTICE) is None


@given(gap=st.floats(20, 120), width=st.floats(20, 399), height=st.floats(30, 233))
def test_a_modesty_panel_is_as_wide_and_as_high_as_it_is_wished(gap, width, height):
    wished = BackChoices(modesty_width_mm=width, modesty_height_mm=height)
    panel = modesty_panel(wished, gap, 105, -128, 600, 400, BONES["flat_6"], PRACTICE)
    assert (panel.width_mm, panel.height_mm) == (pytest.approx(width), pytest.approx(height))
    assert panel.covers_waist_mm == pytest.approx(600 + width - 60)
    told = check_modesty(panel, PRACTICE)
    assert bool(told) == ((width - gap) / 2 < PRACTICE.modesty_least_mm)
    for one in told:
        assert one.mend.changes[0].value is None
        assert ("narrower than the gap" in said(one.sentence)) == (width <= gap)


def test_a_modesty_panel_wider_or_higher_than_the_back_is_refused_at_its_field():
    with refused("wider than the back, which is 40.0 cm") as caught:
        modesty_panel(BackChoices(modesty_width_mm=401), 50, 105, -128, 600, 400, BONES["flat_6"], PRACTICE)
    assert caught.value.at == "back.modesty_width_mm"
    with refused("higher than the back, which is 23.3 cm") as caught:
        modesty_panel(BackChoices(modesty_height_mm=240), 50, 105, -128, 600, 400, BONES["flat_6"], PRACTICE)
    assert caught.value.at == "back.modesty_height_mm"


def test_a_waist_tape_stops_short_of_front_and_back():
    tape = waist_tape((305, 310), (16, 16), (9, 9), PRACTICE, shut=SewnShut(at_cf=False, at_cb=False))
    assert (tape.right.from_cf_mm, tape.right.to_cf_mm) == (16, 296)
    turns = 2 * PRACTICE.tape_turning_mm
    assert tape.cuts_mm == (280 + turns, 285 + turns)
    shut = waist_tape((305, 310), (0, 0), (9, 9), PRACTICE, shut=SewnShut(at_cf=True, at_cb=False))
    assert shut.cuts_mm == (296 + 301 + turns,)  # one line is turned in where it ends, and nowhere else
