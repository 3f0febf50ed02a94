"""Draft, trueing, alterations and cut lines (model, sections 4, 5 and 11)."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon

from fuseau.craft.base.curves import lengths_along
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.alterations import Alteration, SeamChange, alter, let_girths, marks, same_cut
from fuseau.craft.pattern.cut_lines import cut_line
from fuseau.craft.pattern.drafting import (
    back_share_of_seams,
    base_fractions,
    draft,
    front_halves,
    front_share_of_seams,
    suggest_edges,
)
from fuseau.craft.pattern.pattern import Allowances, EdgeLine, Shape
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.wearer.body import believe
from fuseau.craft.wearer.measures import Level, Wearer, Zones
from tests.craft.pattern.test_drawn import kink
from tests.craft.pattern.undone import inverse
from tests.saying import refused

PRACTICE = Practice()
WEARER = Wearer(
    underbust=Level(readings_mm=(770,), height_front_mm=80, height_side_mm=88, height_back_mm=96),
    ribs=Level(readings_mm=(740,), height_front_mm=45, height_side_mm=50, height_back_mm=55),
    waist=Level(readings_mm=(700,)),
    high_hip=Level(readings_mm=(880,), height_front_mm=95, height_side_mm=90, height_back_mm=102),
    hip=Level(readings_mm=(960,)),
    waist_to_lap_sitting_mm=175,
)
BODY = believe(WEARER, Zones(), PRACTICE)
TOP, HEM = suggest_edges(WEARER.waist_to_lap_sitting_mm, BODY)
SEWN = np.array([905.0, 815, 600, 686, 712])  # hip, high hip, waist, ribs, underbust

girths = st.tuples(
    st.floats(820, 1000), st.floats(760, 900), st.floats(520, 700), st.floats(620, 760), st.floats(660, 820)
).map(np.array)
counts = st.integers(4, 8)


def drafted(sewn=SEWN, panels=6, top=TOP, hem=HEM):
    return draft(BODY, np.asarray(sewn), 50.0, panels, top, hem, Allowances(), PRACTICE)


@settings(max_examples=60)
@given(girths, counts)
def test_widths_add_up_to_half_the_sewn_girth_at_every_level(sewn, panels):
    pattern = drafted(sewn, panels)
    shape = Shape(pattern)
    assert shape.sewn_girth(shape.nominal) == pytest.approx(sewn, abs=0.1)
    between = np.linspace(shape.nominal[0], shape.nominal[-1], 80)
    assert 2 * shape.widths(between).sum(axis=1) == pytest.approx(shape.sewn_girth(between), abs=1e-6)
    inner = shape.widths(shape.nominal)
    assert inner.min() >= PRACTICE.least_panel_width_mm - 1e-6


@pytest.mark.parametrize("panels", [4, 6, 8])
def test_the_last_panel_gives_way_by_little_where_the_others_leave_its_edge_no_room(panels):
    """From a girth that gives the edge all its room down to the least that can be drafted."""
    last = []
    for share in np.arange(1.0, 0.4, -0.005):
        try:
            pattern = draft(BODY, SEWN * share, 50.0, panels, TOP, HEM, Allowances(), PRACTICE, edge_mm=48.0)
        except Unmakeable:
            break
        last.append(Shape(pattern).widths(Shape(pattern).nominal)[:, -1].min())
    assert last[0] >= 48 - 1e-6
    assert max(-np.diff(last)) < 2
    assert panels == 4 or last[-1] < 48


@settings(max_examples=40)
@given(girths, counts)
def test_seams_are_true_and_share_their_waist(sewn, panels):
    laid = lay_flat(drafted(sewn, panels), PRACTICE)
    for seam, left, right in zip(laid.seams, laid.panels, laid.panels[1:], strict=False):
        sides = [float(lengths_along(*np.array(edge).T)[-1]) for edge in (left.cb_edge, right.cf_edge)]
        assert sides[0] == pytest.approx(sides[1], abs=0.5)
        assert seam.cf_side_mm == pytest.approx(seam.cb_side_mm, abs=0.5)
        put = abs(seam.put_in_top_mm + seam.put_in_hem_mm)
        assert put == pytest.approx(abs(seam.cf_side_before_mm - seam.cb_side_before_mm), abs=0.01)


@pytest.mark.parametrize("panels", range(4, 9))
def test_top_line_and_hem_run_smoothly_across_the_seams(panels):
    laid = lay_flat(drafted(panels=panels), PRACTICE)
    for left, right in zip(laid.panels, laid.panels[1:], strict=False):
        assert max(kink(left, right, end) for end in ("top", "hem")) < 1


def test_cf_and_cb_are_straight_so_that_busk_and_grommets_can_lie_there():
    laid = lay_flat(drafted(), PRACTICE)
    assert {round(x, 6) for x, _ in laid.panels[0].cf_edge} == {0.0}
    assert len({round(x, 6) for x, _ in laid.panels[-1].cb_edge}) == 1


def test_outlines_are_simple_and_notches_differ_from_seam_to_seam():
    laid = lay_flat(drafted(panels=7), PRACTICE)
    assert all(Polygon(panel.outline).is_valid for panel in laid.panels)
    for left, right in zip(laid.panels, laid.panels[1:], strict=False):
        assert left.cb_notches == right.cf_notches
    upper = [tuple(n.marks for n in panel.cb_notches if n.from_waist_mm > 0) for panel in laid.panels[:-1]]
    assert len(set(upper)) == len(upper)


@pytest.mark.parametrize("front", range(1, 5))
@pytest.mark.parametrize("level", ["underbust", "ribs", "waist", "high_hip", "hip"])
def test_shares_add_up_and_leave_cf_and_cb_alone(front, level):
    for shares, fixed in ((front_share_of_seams(front, level), 0), (back_share_of_seams(front, level), -1)):
        assert shares.sum() == pytest.approx(1)
        assert shares[fixed] == 0
        assert len(shares) == 2 * front
    assert base_fractions(front, True).sum() == pytest.approx(1)


def test_the_side_seam_lies_where_the_front_ends():
    pattern = drafted()
    shape = Shape(pattern)
    assert shape.front_half(shape.nominal) == pytest.approx(front_halves(BODY, SEWN, 50.0))


def test_the_suggested_hem_clears_the_lap():
    assert -HEM.cf_mm == 155
    assert TOP.cf_mm > BODY["underbust"].front_mm


@pytest.mark.parametrize(
    ("top", "hem", "at"),
    [
        (EdgeLine(cf_mm=-20, side_mm=90, cb_mm=90), HEM, "draft.top.cf_mm"),
        (TOP, EdgeLine(cf_mm=-150, side_mm=5, cb_mm=-120), "draft.hem.side_mm"),
    ],
)
def test_a_top_line_below_the_waist_is_refused_at_its_field(top, hem, at):
    with pytest.raises(Unmakeable) as caught:
        lay_flat(drafted(top=top, hem=hem), PRACTICE)
    assert caught.value.at == at


def test_too_many_panels_for_the_girth_are_refused():
    with refused("fewer panels"):
        draft(BODY, SEWN * 0.26, 20.0, 8, TOP, HEM, Allowances(), PRACTICE)


amounts = st.lists(st.floats(-12, 12), min_size=5, max_size=5).map(tuple)


@settings(max_examples=40)
@given(amounts, amounts, st.integers(1, 5))
def test_an_alteration_is_undone_by_its_inverse(cf_side, cb_side, seam):
    pattern = drafted()
    moved_top = EdgeLine(cf_mm=100, side_mm=80, cb_mm=90)
    change = Alteration(seams=(SeamChange(seam=seam, cf_side_mm=cf_side, cb_side_mm=cb_side),), top=moved_top)
    there = alter(pattern, change)
    back = alter(there, inverse(change, pattern))
    assert Shape(back).edges == pytest.approx(Shape(pattern).edges, abs=0.1)
    assert back.top == pattern.top
    assert there.top == moved_top
    grown = Shape(there).sewn_girth(Shape(there).nominal) - SEWN
    assert grown == pytest.approx(2 * (np.array(cf_side) + np.array(cb_side)), abs=1e-6)


@settings(max_examples=40)
@given(amounts, amounts, counts)
def test_letting_girths_changes_them_by_what_was_asked(front, back, panels):
    pattern = drafted(panels=panels)
    in_front = pattern.front_panels
    names = [level.name for level in BODY]
    shares = (
        np.array([front_share_of_seams(in_front, name) for name in names]),
        np.array([back_share_of_seams(panels - in_front, name) for name in names]),
    )
    change = let_girths(pattern, np.array(front), np.array(back), shares)
    after = Shape(alter(pattern, change))
    assert after.sewn_girth(after.nominal) - SEWN == pytest.approx(2 * (np.array(front) + np.array(back)), abs=1e-6)
    assert after.edges[:, 0] == pytest.approx(0)
    assert same_cut(pattern, after.pattern)
    for mark in marks(pattern, change):
        assert max(mark.cf_side_mm, mark.cb_side_mm) >= 0.05


def test_an_alteration_of_a_seam_that_is_not_there_is_refused():
    with refused("no seam 7·8"):
        alter(drafted(), Alteration(seams=(SeamChange(seam=7, cf_side_mm=(0,) * 5, cb_side_mm=(0,) * 5),)))


@pytest.mark.parametrize("panels", [4, 6, 7])
def test_cut_lines_lie_outside_by_their_allowances(panels):
    allowances = Allowances(seams_mm=12, top_mm=6, hem_mm=8, cf_mm=20, cb_mm=45)
    for panel in lay_flat(drafted(panels=panels), PRACTICE).panels:
        cut = Polygon(cut_line(panel, panels, allowances).cut_line)
        assert cut.is_valid
        assert cut.contains(Polygon(panel.outline))
        border = cut.exterior
        cf = 20 if panel.number == 1 else 12
        cb = 45 if panel.number == panels else 12
        for edge, by in ((panel.cf_edge, cf), (panel.top, 6), (panel.cb_edge, cb), (panel.hem, 8)):
            middle = LineString(edge).interpolate(0.5, normalized=True)
            assert border.distance(middle) == pytest.approx(by, abs=0.3)


def test_a_refit_to_the_same_girths_changes_nothing():
    pattern = drafted()
    shape = Shape(pattern)
    front = front_halves(BODY, SEWN, 50.0)
    change = let_girths(
        pattern,
        front - shape.front_half(shape.nominal),
        SEWN / 2 - front - (shape.sewn_girth(shape.nominal) / 2 - shape.front_half(shape.nominal)),
        (np.array([front_share_of_seams(3, level.name) for level in BODY]),) * 2,
    )
    assert marks(pattern, change, least_mm=1e-6) == []


def test_a_copy_does_not_carry_what_was_derived_from_the_old_fields():
    pattern = drafted()
    assert pattern.shape.sewn_girth(np.array([0.0])) == pytest.approx(600)
    wider = pattern.model_copy(update={"panels": drafted(SEWN + 40).panels})
    assert wider.shape.sewn_girth(np.array([0.0])) == pytest.approx(640, abs=1)
    assert pattern == drafted()
