"""Edits by hand: what each changes, what it must preserve, and the limits it meets (model, sections 4 and 5)."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, Polygon

from fuseau.craft.base.curves import lengths_along
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.alterations import compare
from fuseau.craft.pattern.edge_curves import curve_of, run_at, shaped
from fuseau.craft.pattern.hand_edits import (
    AddDart,
    AddGusset,
    DropInsert,
    DropPoint,
    DropSeam,
    JoinSeam,
    MovePoint,
    MoveSeam,
    PartHalves,
    SetAllowance,
    SetWidth,
    ShapeLine,
    SplitPanel,
    edit,
)
from fuseau.craft.pattern.one_piece import join_panels
from fuseau.craft.pattern.pattern import EdgePoint
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.wording.hand_edits import hand_edit
from tests.craft.pattern.test_pattern import drafted
from tests.saying import refused, said

PRACTICE = Practice()
HEIGHTS = np.linspace(-130, 90, 45)

panels = st.integers(5, 7)
seams = st.integers(1, 4)
amounts = st.floats(-8, 8)
shares = st.floats(0.25, 0.75)


def girths(pattern):
    return pattern.shape.sewn_girth(HEIGHTS)


def made(pattern, *edits):
    for one in edits:
        pattern = edit(pattern, one, PRACTICE)
    return pattern


@settings(max_examples=40)
@given(seams, st.floats(-80, 60), amounts, st.sampled_from(["both", "left", "right"]))
def test_a_seam_let_out_widens_by_both_edges_and_its_inverse_undoes_it(seam, at, amount, side):
    pattern = drafted()
    move = MoveSeam(seam=seam, at_mm=at, amount_mm=amount, side=side)
    after = made(pattern, move)
    grown = after.shape.sewn_girth(np.array([at])) - pattern.shape.sewn_girth(np.array([at]))
    assert grown == pytest.approx(4 * amount if side == "both" else 2 * amount, abs=1e-5)
    far = np.array([at - 75, at + 75])
    assert after.shape.sewn_girth(far) == pytest.approx(pattern.shape.sewn_girth(far), abs=1e-6)
    back = made(after, move.model_copy(update={"amount_mm": -amount}))
    assert np.abs(back.shape.across(HEIGHTS) - pattern.shape.across(HEIGHTS)).max() < 0.1
    if side == "both":
        assert back == pattern


@settings(max_examples=40)
@given(seams, st.floats(-80, 60), amounts, panels)
def test_a_seam_shifted_keeps_every_girth(seam, at, amount, count):
    pattern = drafted(panels=count)
    after = made(pattern, MoveSeam(seam=seam, at_mm=at, amount_mm=amount, how="shift"))
    assert girths(after) == pytest.approx(girths(pattern), abs=1e-9)
    assert abs(after.shape.widths(np.array([at]))[0, seam - 1] - pattern.shape.widths(np.array([at]))[0, seam - 1]) == (
        pytest.approx(abs(amount), abs=1e-5)
    )


@settings(max_examples=40)
@given(panels, st.integers(1, 5), shares, st.lists(st.tuples(seams, st.floats(-60, 60), amounts), max_size=3))
def test_a_panel_added_keeps_girths_and_edges_and_dropping_it_returns_the_pattern(count, panel, across, moves):
    pattern = drafted(panels=count)
    for seam, at, amount in moves:
        pattern = made(pattern, MoveSeam(seam=seam, at_mm=at, amount_mm=amount))
    if min(across, 1 - across) * pattern.shape.widths(HEIGHTS)[:, panel - 1].min() < 16:
        across = 0.5
    if 0.5 * pattern.shape.widths(HEIGHTS)[:, panel - 1].min() < 16:
        return
    split = made(pattern, SplitPanel(panel=panel, across=across))
    assert len(split.panels) == count + 1
    assert girths(split) == pytest.approx(girths(pattern), abs=1e-6)
    assert split.shape.front_half(HEIGHTS) == pytest.approx(pattern.shape.front_half(HEIGHTS), abs=1e-6)
    heights = [curve_of(one.top, run_at(one.top, one.shape), one.front_panels).height(60.0) for one in (split, pattern)]
    assert heights[0] == pytest.approx(heights[1], abs=0.01)
    again = made(split, DropSeam(seam=panel))
    assert len(again.panels) == count
    assert again.front_panels == pattern.front_panels
    assert np.abs(again.shape.across(HEIGHTS) - pattern.shape.across(HEIGHTS)).max() < 0.1
    assert girths(again) == pytest.approx(girths(pattern), abs=1e-5)


@settings(max_examples=30)
@given(panels, st.integers(1, 6))
def test_a_panel_dropped_keeps_girths_and_the_straight_cb(count, seam):
    pattern = drafted(panels=count)
    if seam >= count:
        return
    if seam == pattern.front_panels:
        with refused("side seam stays"):
            made(pattern, DropSeam(seam=seam))
        return
    fewer = made(pattern, DropSeam(seam=seam))
    assert girths(fewer) == pytest.approx(girths(pattern), abs=1e-6)
    cb = fewer.shape.across(HEIGHTS)[:, -1]
    assert np.ptp(cb) == pytest.approx(0, abs=1e-6)
    assert lay_flat(fewer, PRACTICE).panels


@settings(max_examples=30)
@given(st.floats(10, 60), st.floats(50, 85), seams, st.sampled_from(["top", "hem"]))
def test_a_gusset_adds_its_width_at_the_edge_and_is_true_to_its_slit(width, depth, seam, end):
    pattern = drafted()
    after = made(pattern, AddGusset(seam=seam, end=end, width_mm=width, depth_mm=depth))
    edge = curve_of(getattr(pattern, end), run_at(getattr(pattern, end), pattern.shape), pattern.front_panels)
    height = edge.height(float(run_at(getattr(pattern, end), pattern.shape)[seam]))
    grown = after.shape.sewn_girth(np.array([height])) - pattern.shape.sewn_girth(np.array([height]))
    assert grown == pytest.approx(2 * width, abs=0.01)
    tip = np.array([after.gussets[0].tip_mm])
    assert after.shape.sewn_girth(tip) == pytest.approx(pattern.shape.sewn_girth(tip), abs=1e-6)
    (piece,) = lay_flat(after, PRACTICE).pieces
    legs = [np.hypot(*np.subtract(piece.outline[i], piece.outline[0])) for i in (1, 2)]
    (slit,) = piece.sewn_to_mm.values()
    assert legs == pytest.approx([slit, slit], abs=0.01)
    assert abs(piece.outline[1][0] - piece.outline[2][0]) == pytest.approx(piece.edges_mm["open end"], abs=0.01)
    assert made(after, DropInsert(what="gusset", index=0)) == pattern


def test_a_dart_takes_its_width_off_the_girth_where_it_is_widest():
    pattern = drafted()
    dart = AddDart(panel=2, across=0.5, width_mm=14, low_mm=-60, widest_mm=0, high_mm=70)
    after = made(pattern, dart)
    at = np.array([-60.0, -30, 0, 35, 70])
    taken = pattern.shape.sewn_girth(at) - after.shape.sewn_girth(at)
    assert taken == pytest.approx([0, 14, 28, 14, 0], abs=1e-9)
    panel = lay_flat(after, PRACTICE).panels[1]
    outline = np.array(panel.darts[0])
    assert np.ptp(outline[np.abs(outline[:, 1]) < 0.1][:, 0]) == pytest.approx(14, abs=0.01)
    assert Polygon(panel.outline).contains(LineString(outline))
    assert made(after, DropInsert(what="dart", index=0)) == pattern
    with refused("2 cm long"):
        made(pattern, dart.model_copy(update={"low_mm": 50.0}))


def test_a_typed_width_is_that_width_and_changes_the_girth_by_it():
    pattern = drafted()
    waist = np.array([0.0])
    before = pattern.shape.widths(waist)[0]
    for panel in range(1, 7):
        after = made(pattern, SetWidth(panel=panel, level="waist", width_mm=before[panel - 1] + 6))
        widths = after.shape.widths(waist)[0]
        assert widths[panel - 1] == pytest.approx(before[panel - 1] + 6, abs=1e-6)
        assert after.shape.sewn_girth(waist) - pattern.shape.sewn_girth(waist) == pytest.approx(12, abs=1e-6)
        assert np.ptp(after.shape.across(HEIGHTS)[:, [0, -1]], axis=0) == pytest.approx([0, 0], abs=1e-6)
    with refused("15 mm at the least") as caught:
        made(pattern, SetWidth(panel=2, level="waist", width_mm=9))
    assert caught.value.at == "edit.width_mm"


def test_points_of_the_top_line_are_where_they_were_put_and_smooth_unless_corners():
    pattern = drafted()
    at = 0.6
    after = made(pattern, MovePoint(end="top", place=at, z_mm=118))
    run = run_at(after.top, after.shape)
    curve = curve_of(after.top, run, after.front_panels)
    u = at * run[after.front_panels]
    assert curve.height(u) == pytest.approx(118, abs=1e-6)
    assert curve.slope(u, before=True) == pytest.approx(curve.slope(u), abs=1e-6)
    outline = np.vstack([np.array(panel.top) for panel in lay_flat(after, PRACTICE).panels])
    assert outline[:, 1].max() > 115
    cornered = made(after, MovePoint(end="top", place=at, z_mm=118, corner=True))
    curve = curve_of(cornered.top, run, cornered.front_panels)
    assert abs(curve.slope(u, before=True) - curve.slope(u)) > 0.05
    assert made(cornered, DropPoint(end="top", place=at)) == pattern
    moved = made(after, MovePoint(end="top", place=at, z_mm=112, to_place=0.4))
    assert moved.top.points == (EdgePoint(place=0.4, z_mm=112),)
    with refused("no point to take out"):
        made(pattern, DropPoint(end="hem", place=1.0))


@pytest.mark.parametrize("shape", ["plain", "sweetheart", "scoop", "point", "swoop"])
@pytest.mark.parametrize("end", ["top", "hem"])
def test_every_shape_of_line_lies_flat_and_true(shape, end):
    pattern = made(drafted(), ShapeLine(end=end, shape=shape, bust_place=0.4))
    laid = lay_flat(pattern, PRACTICE)
    assert all(Polygon(panel.outline).is_valid for panel in laid.panels)
    for one, two in zip(laid.panels, laid.panels[1:], strict=False):
        sides = [float(lengths_along(*np.array(edge).T)[-1]) for edge in (one.cb_edge, two.cf_edge)]
        assert sides[0] == pytest.approx(sides[1], abs=0.5)
        assert one.top[-1][1] == pytest.approx(one.cb_edge[-1][1], abs=1e-6)
    assert girths(pattern) == pytest.approx(girths(drafted()), abs=1e-9)


def test_a_sweetheart_peaks_over_the_bust_and_dips_to_a_corner_at_cf():
    line = shaped(drafted().top, "sweetheart", "top", 0.4)
    assert max(line.points, key=lambda point: point.z_mm).place == pytest.approx(0.4)
    assert line.corner_at_cf
    assert line.cf_mm < max(point.z_mm for point in line.points)


def test_halves_part_and_come_together_again():
    pattern = drafted()
    parted = made(pattern, PartHalves(differ=True))
    assert girths(parted) == pytest.approx(girths(pattern))
    left = made(parted, MoveSeam(seam=3, at_mm=0, amount_mm=5, side="left"))
    assert left.panels == pattern.panels
    assert left.left_pattern.shape.half_girth(np.array([0.0])) - left.shape.half_girth(np.array([0.0])) == (
        pytest.approx(10, abs=1e-6)
    )
    lower = made(parted, MovePoint(end="hem", place=0, z_mm=-120, side="left"))
    assert lower.left.hem.cf_mm == -120
    assert lower.hem == pattern.hem
    assert made(left, PartHalves(differ=False)) == pattern
    split = made(left, SplitPanel(panel=2))
    assert len(split.left.panels) == len(split.panels)


def test_seams_renumber_what_hangs_on_them_when_a_panel_is_added():
    pattern = made(
        drafted(),
        AddGusset(seam=4, end="hem", width_mm=30, depth_mm=60),
        SetAllowance(seam=4, allowance_mm=25),
        AddDart(panel=5, width_mm=8, low_mm=-50, widest_mm=0, high_mm=50),
    )
    split = made(pattern, SplitPanel(panel=1))
    assert split.gussets[0].seam == 5
    assert split.darts[0].panel == 6
    assert split.allowances.of_seam(5) == 25
    assert split.allowances.of_seam(4) == pattern.allowances.seams_mm
    assert made(split, SetAllowance(seam=5, allowance_mm=None)).allowances.by_seam == {}
    with refused("has a gusset: take it out first"):
        made(pattern, DropSeam(seam=4))


def test_panels_cut_as_one_keep_their_widths_and_show_the_dart_between():
    laid = lay_flat(drafted(), PRACTICE)
    pieces = join_panels(laid.panels, (1,))
    assert [piece.numbers for piece in pieces] == [(1, 2), (3,), (4,), (5,), (6,)]
    piece = pieces[0]
    assert Polygon(piece.panel.outline).is_valid
    at = np.linspace(-100, 80, 19)

    def span(edge):
        return np.interp(at, [p[1] for p in edge], [p[0] for p in edge])

    whole = span(piece.panel.cb_edge) - span(piece.panel.cf_edge)
    own = sum(span(p.cb_edge) - span(p.cf_edge) for p in laid.panels[:2])
    darts = sum(np.array([_across(dart, z) for z in at]) for dart in piece.panel.darts)
    assert whole - darts == pytest.approx(own, abs=1.6)
    assert made(drafted(), JoinSeam(seam=1, joined=True)).joined == (1,)


def _across(dart, z):
    low, high = min(p[1] for p in dart), max(p[1] for p in dart)
    if not low < z < high:
        return 0.0
    cut = Polygon(dart).intersection(LineString([(-999, z), (999, z)]))
    return cut.length


@pytest.mark.parametrize(
    ("change", "at", "says"),
    [
        (MoveSeam(seam=9, at_mm=0, amount_mm=5), "edit.seam", "seams 1·2 to 5·6"),
        (SetWidth(panel=8, level="waist", width_mm=60), "edit.panel", "panels 1 to 6"),
        (SetWidth(panel=2, level="bust", width_mm=60), "edit.level", "no bust"),
        (MoveSeam(seam=2, at_mm=0, amount_mm=-40), "edit.amount_mm", "15 mm at the least"),
        (AddGusset(seam=2, end="hem", width_mm=30, depth_mm=290), "edit.depth_mm", "deeper than the garment"),
        (DropInsert(what="dart", index=2), "edit.index", "no such dart"),
        (SplitPanel(panel=12), "edit.panel", "panels 1 to 6"),
    ],
)
def test_limits_are_said_where_they_are_met(change, at, says):
    with pytest.raises(Unmakeable) as caught:
        made(drafted(), change)
    assert caught.value.at == at
    assert says in said(caught.value)


def test_a_comparison_shows_bumps_gussets_and_moved_seams():
    before = drafted()
    after = made(
        before,
        MoveSeam(seam=2, at_mm=40, amount_mm=4, reach_up_mm=25, reach_down_mm=25),
        MoveSeam(seam=4, at_mm=0, amount_mm=3, how="shift"),
        AddGusset(seam=3, end="hem", width_mm=30, depth_mm=60),
    )
    found = compare(before, after)
    assert ("2·3", "let out") in {(mark.seam, mark.kind) for mark in found.seams}
    assert ("4·5", "move") in {(mark.seam, mark.kind) for mark in found.seams}
    assert tuple(map(said, found.others)) == ("gusset in seam 3·4 from the hem, 30 mm wide and 60 mm deep: new",)


@pytest.mark.parametrize(
    ("change", "words"),
    [
        (MoveSeam(seam=2, at_mm=0, amount_mm=-4), "seam 2·3 taken in by 4 mm on each edge"),
        (MoveSeam(seam=2, at_mm=0, amount_mm=4, how="shift", side="left"), "toward CB, left half"),
        (MovePoint(end="hem", place=2, z_mm=-90), "hem at CB to −9.0 cm"),
        (ShapeLine(end="top", shape="scoop"), "top line: scoop"),
        (SplitPanel(panel=3), "panel 3 cut in two"),
        (PartHalves(differ=False), "both halves the same"),
    ],
)
def test_an_edit_is_told_in_words(change, words):
    assert words in hand_edit(change, "cm")


def test_an_edit_is_told_in_the_makers_inches():
    assert hand_edit(MoveSeam(seam=2, at_mm=0, amount_mm=3.175), "in") == "seam 2·3 let out by 1/8 in on each edge"
    assert hand_edit(MovePoint(end="hem", place=2, z_mm=-101.6), "in") == "hem at CB to −4 in"
