"""Her figure as rings, and the garment as a surface on it: girths, areas, edges, and what lies where."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.base.curves import area_of
from fuseau.craft.wearer.pads import Pad
from fuseau.craft.worn.figure import Figure
from fuseau.craft.worn.rings import Rings, deep_for, quarter_length
from fuseau.craft.worn.surface import HalfWorn, area, pressures, skin
from tests.kinds import ALL_KINDS, built
from tests.plans import plan

PLANNED = {kind: plan(built(kind)) for kind in ALL_KINDS}


def worn(kind, pads=()):
    planned = PLANNED[kind]
    figure = Figure(planned.body, pads, 0.15, planned.drafted, planned.final)
    return planned, figure, HalfWorn(figure, planned.drafted)


def round_of(points):
    return float(np.linalg.norm(np.diff(points, axis=0), axis=1).sum())


def rings(girth, ratio, share):
    return Rings.of(*(np.array([one]) for one in (0.0, girth, ratio, share)))


# --- rings


def test_a_quarter_of_an_ellipse_is_as_long_as_by_quadrature():
    angle = np.linspace(0, math.pi / 2, 20001)
    for half, deep in ((100.0, 100.0), (140.0, 90.0), (150.0, 50.0)):
        step = np.sqrt((half * np.cos(angle)) ** 2 + (deep * np.sin(angle)) ** 2)
        exact = np.trapezoid(step, angle)
        assert float(quarter_length(np.array(half), np.array(deep))) == pytest.approx(exact, rel=1e-4)
        assert float(deep_for(np.array(half), np.array(exact))) == pytest.approx(deep, rel=1e-3)


@given(st.floats(300, 1600), st.floats(1.0, 1.7), st.floats(0.45, 0.55))
def test_a_ring_has_its_girth_its_width_and_its_share_in_front(girth, ratio, share):
    ring = rings(girth, ratio, share)
    run = np.linspace(0, girth / 2, 400)
    many = ring.at(np.zeros(len(run)))
    across, ahead = many.point(many.place(run))
    assert round_of(np.column_stack([across, ahead])) == pytest.approx(girth / 2, rel=2e-3)
    assert across.max() == pytest.approx(float(ring.half_mm[0]), rel=2e-3)
    assert float(ring.runs[0][0]) == pytest.approx(share * girth / 2, rel=1e-3)
    assert (np.diff(many.place(run)) > -1e-9).all()


def test_past_the_middle_behind_it_goes_on_over_the_other_half():
    ring = rings(700.0, 1.3, 0.5).at(np.zeros(2))
    across, ahead = ring.point(ring.place(np.array([340.0, 360.0])))
    assert across[0] == pytest.approx(-across[1], abs=0.3)
    assert ahead[0] == pytest.approx(ahead[1], abs=0.3)


# --- the figure


def test_the_models_examples_are_her_half_widths():
    # C 700 at 1.35 as she is: 126.6; laced to 630, 74 % of a give of 13.5 %: 1.22, 109.7
    planned, figure, _ = worn("longline corset")
    waist = planned.body["waist"]
    at = figure.over.at(np.array([0.0]))
    level = next(one for one in planned.levels if one.name == "waist")
    used = (waist.girth_mm - level.squeezed_mm) / (waist.girth_mm * waist.give)
    ratio = 1 + (waist.width_to_depth - 1) * (1 - 0.5 * used)
    deep = level.worn_mm / (2 * math.pi * math.sqrt((ratio**2 + 1) / 2))
    assert float(at.half_mm[0]) == pytest.approx(ratio * deep, rel=5e-3)


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_what_is_worn_is_as_wide_round_as_the_fit_says(kind):
    planned, figure, _ = worn(kind)
    for level in planned.levels:
        if level.worn_mm is not None:
            found = float(np.interp(level.z_mm, figure.heights, figure.over_mm))
            assert found == pytest.approx(level.worn_mm, abs=2.5), level.name


def test_padding_widens_her_at_its_sides_or_ahead():
    plain, sides, front = (
        worn("longline corset", pads)[1].over.at(np.array([-200.0]))
        for pads in ((), (Pad(level="hip", thick_mm=30),), (Pad(level="hip", place="front", thick_mm=30),))
    )
    bare = Figure(PLANNED["longline corset"].body, (Pad(level="hip", thick_mm=30),), 0.0)
    alone = Figure(PLANNED["longline corset"].body)
    more = bare.over.at(np.array([-200.0])).half_mm - alone.over.at(np.array([-200.0])).half_mm
    assert float(more[0]) == pytest.approx(30, abs=1.5)
    assert float((sides.half_mm - plain.half_mm)[0]) > 0
    assert float((front.front_mm - plain.front_mm)[0] + (front.back_mm - plain.back_mm)[0]) > 0


# --- the garment on it


@pytest.mark.parametrize("kind", ALL_KINDS)
@pytest.mark.parametrize("pads", [(), (Pad(level="hip", thick_mm=25),)])
def test_panels_keep_their_area_within_two_percent(kind, pads):
    planned, figure, half = worn(kind, pads)
    for panel in planned.pattern.panels:
        patch, on_her = half.patch(panel)
        assert on_her == pytest.approx(area_of(panel.outline) * figure.stretch, rel=0.02), panel.number
        assert len(patch.points) == 3 * patch.rows * patch.columns
        assert np.isfinite(patch.points).all()


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_neighbours_meet_along_their_seam_and_the_edge_is_half_a_gap_from_the_middle(kind):
    planned, _, half = worn(kind)
    panels = planned.pattern.panels
    for one, other in zip(panels, panels[1:], strict=False):
        heights = np.linspace(-20, 20, 9)
        a, b = (
            half.points(panel.number, np.column_stack([np.interp(heights, *np.array(edge).T[::-1]), heights]))
            for panel, edge in ((one, one.cb_edge), (other, other.cf_edge))
        )
        assert np.abs(a - b).max() < 0.6
    edge = half.points(panels[-1].number, np.array(panels[-1].cb_edge))
    gap = np.interp(np.array(panels[-1].cb_edge)[:, 1], planned.final.z_mm, planned.final.gap_mm)
    assert np.abs(2 * np.abs(edge[:, 0]) - gap).max() < 4  # the chord of what lies between
    assert (edge[:, 2] < 0).all()
    front = half.points(1, np.array(panels[0].cf_edge))
    assert np.abs(front[:, 0]).max() < 0.6
    assert (front[:, 2] > 0).all()


def test_the_side_seam_hangs_upright():
    planned, _, half = worn("longline corset")
    side = planned.pattern.panels[planned.pattern.front_panels - 1]
    points = half.points(side.number, np.array(side.cb_edge))
    assert np.ptp(points[:, 2]) < 12  # ahead or behind, over its whole length


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_its_boundary_is_top_line_hem_and_edges(kind):
    planned, _, half = worn(kind)
    for panel in planned.pattern.panels:
        patch, _ = half.patch(panel)
        grid = np.array(patch.points).reshape(patch.rows, patch.columns, 3)
        for row, edge in ((0, panel.hem), (-1, panel.top)):
            on_her = half.points(panel.number, np.array(edge))
            for point in grid[row]:
                assert np.linalg.norm(on_her - point, axis=1).min() < 6
        assert area(grid.reshape(-1, 3), patch.rows, patch.columns) > 0


def test_pressure_is_that_of_the_fit_and_she_lies_inside():
    planned, figure, half = worn("longline corset")
    share = pressures(figure, np.array([0.0]))
    waist = next(one for one in planned.levels if one.name == "waist")
    assert share[0] == pytest.approx(waist.pressure_kpa / waist.comfort_kpa, abs=0.01)
    her = np.array(skin(figure).points).reshape(-1, 3)
    at_waist = her[np.abs(her[:, 1]) < 4]
    garment = half.points(3, np.array([[np.mean([x for x, _ in planned.pattern.panels[2].waist]), 0.0]]))
    assert np.abs(at_waist[:, 0]).max() < float(figure.over.at(np.array([0.0])).half_mm[0])
    assert np.abs(garment[0, 1]) < 3
    assert Figure(planned.body).covered.sum() == 0
    assert len(pressures(Figure(planned.body), np.array([0.0]))) == 0
    collar = worn("neck corset")[1]
    assert len(pressures(collar, np.array([0.0]))) == 0  # of a collar room is told


@settings(max_examples=25)
@given(st.sampled_from(ALL_KINDS), st.floats(0.05, 0.95), st.floats(0.05, 0.95))
def test_a_mirrored_half_is_mirrored(kind, across, up):
    planned, figure, half = worn(kind)
    other = HalfWorn(figure, planned.drafted, left=True)
    panel = planned.pattern.panels[0]
    xs, zs = np.array(panel.outline).T
    flat = np.array([[xs.min() + across * np.ptp(xs), zs.min() + up * np.ptp(zs)]])
    right, left = half.points(1, flat), other.points(1, flat)
    assert np.allclose(right * [-1, 1, 1], left)
