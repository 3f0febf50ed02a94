"""Rows of holes as they are wished: met exactly, or refused with the nearest that can be (model, section 9)."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.commands.fields import change
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change
from fuseau.craft.base.practice import Practice
from fuseau.craft.closures.rows import LEAST_MARGIN_MM, RowWishes, rows
from tests.kinds import built
from tests.plans import plan
from tests.saying import refused, said

PRACTICE = Practice()
LOOPS = st.booleans()
ENDS = st.tuples(st.floats(90, 200), st.floats(90, 200))


def spaces(heights):
    return [a - b for a, b in zip(heights, heights[1:], strict=False)]


def outside_the_pair(heights):
    return [a - b for a, b in zip(heights, heights[1:], strict=False) if not a > 0 > b]


@given(ENDS, st.floats(18, 40), st.integers(4, 16), LOOPS)
def test_a_count_is_met_and_its_ends_keep_their_margins(ends, usual, count, loops):
    top, hem = ends
    heights = rows(top, -hem, usual, PRACTICE, RowWishes(count=count), pull_loops=loops)
    assert len(heights) == count
    assert list(heights) == sorted(heights, reverse=True)
    assert heights[0] == pytest.approx(top - PRACTICE.row_margin_mm)
    assert heights[-1] == pytest.approx(-hem + PRACTICE.row_margin_mm)
    if loops:
        assert {12.0, -12.0} <= set(heights)


@given(ENDS, st.floats(14, 45), LOOPS)
def test_a_pitch_is_met_to_the_last_row_and_the_margins_follow(ends, pitch, loops):
    top, hem = ends
    heights = rows(top, -hem, 26, PRACTICE, RowWishes(pitch_mm=pitch), pull_loops=loops)
    wanted = outside_the_pair(heights) if loops else spaces(heights)
    assert wanted == pytest.approx([pitch] * len(wanted))
    for margin in (top - heights[0], hem + heights[-1]):
        assert margin >= LEAST_MARGIN_MM - 1e-6
        assert margin <= PRACTICE.row_margin_mm + pitch + 1e-6


@given(ENDS, st.floats(5, 70), st.floats(5, 70), LOOPS)
def test_each_margin_is_met_on_its_own(ends, above, below, loops):
    top, hem = ends
    wishes = RowWishes(top_margin_mm=above, bottom_margin_mm=below)
    heights = rows(top, -hem, 26, PRACTICE, wishes, pull_loops=loops)
    assert heights[0] == pytest.approx(top - above)
    assert heights[-1] == pytest.approx(-hem + below)


@given(ENDS, st.integers(2, 40), st.one_of(st.none(), st.floats(14, 45)), st.one_of(st.none(), st.floats(5, 80)), LOOPS)
def test_any_wishes_are_met_together_or_refused_at_one_of_them(ends, count, pitch, margin, loops):
    top, hem = ends
    wishes = RowWishes(count=count, pitch_mm=pitch, top_margin_mm=margin)
    refusal = None
    try:
        heights = rows(top, -hem, 26, PRACTICE, wishes, pull_loops=loops, least_pitch_mm=13)
    except Unmakeable as error:
        refusal = error
    if refusal is not None:
        assert refusal.at in ("back.rows", "back.pitch_mm", "back.top_margin_mm")
        assert said(refusal)
        return
    assert len(heights) == count
    assert min(spaces(heights)) >= 13 - 1e-6
    if pitch is not None:
        wanted = outside_the_pair(heights) if loops else spaces(heights)
        assert wanted == pytest.approx([pitch] * len(wanted), abs=0.5)
    if margin is not None:
        assert top - heights[0] == pytest.approx(margin, abs=0.5)
    assert top - heights[0] >= LEAST_MARGIN_MM - 0.5
    assert hem + heights[-1] >= LEAST_MARGIN_MM - 0.5


def test_what_a_refusal_offers_is_met():
    with refused("at the most") as caught:
        rows(105, -125, 26, PRACTICE, RowWishes(count=19), least_pitch_mm=13)
    assert caught.value.at == "back.rows"
    most = caught.value.message.given["most"]
    assert len(rows(105, -125, 26, PRACTICE, RowWishes(count=most), least_pitch_mm=13)) == most
    with refused("10 rows so far apart") as caught:
        rows(105, -125, 26, PRACTICE, RowWishes(count=12, pitch_mm=22))
    fit = caught.value.message.given["fit"]
    assert len(rows(105, -125, 26, PRACTICE, RowWishes(count=fit, pitch_mm=22))) == fit
    with refused("apart they do") as caught:
        rows(105, -125, 26, PRACTICE, RowWishes(pitch_mm=25, top_margin_mm=20))
    for offered in ("wider_mm", "closer_mm"):
        pitch = caught.value.message.given[offered]
        met = rows(105, -125, 26, PRACTICE, RowWishes(pitch_mm=pitch, top_margin_mm=20))
        assert met[0] == pytest.approx(85)


def test_margins_past_the_waist_and_one_row_with_loops_are_refused():
    with refused("33 mm from the edge at the most") as caught:
        rows(45, -125, 26, PRACTICE, RowWishes(top_margin_mm=40))
    assert caught.value.at == "back.top_margin_mm"
    with refused("more than the edge") as caught:
        rows(20, -20, 12, PRACTICE, RowWishes(top_margin_mm=15, bottom_margin_mm=30), pull_loops=False)
    assert caught.value.at == "back.bottom_margin_mm"
    with refused("two rows"):
        rows(105, -125, 26, PRACTICE, RowWishes(count=1))


def test_a_maker_who_types_twelve_rows_gets_twelve_on_each_side_and_lace_for_them():
    build = built("underbust corset")
    before = plan(build)
    wished = change(build, [Change(at="back.rows", value=12), Change(at="back.top_margin_mm", value="10 mm")], "cm")
    found = plan(wished)
    assert len(found.holes.z_mm) == 12
    assert found.holes.count == 24
    assert found.holes.z_mm[0] == pytest.approx(found.pattern.top.cb_mm - 10)
    assert (found.lace.cut_mm > before.lace.cut_mm) == (len(before.holes.z_mm) < 12)
    crowded = plan(change(build, [Change(at="back.rows", value=40)], "cm"))
    assert crowded.unmakeable
    (stop,) = [one for one in crowded.findings if one.severity == "stop"]
    assert (stop.stage, stop.at) == ("back", "back.rows")
