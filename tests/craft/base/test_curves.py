"""Splines in tension: through the points, without overshoot, with continuous curvature."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.base.curves import basis, calm_basis, hermite

knots_and_values = st.lists(st.integers(-120, 120), min_size=3, max_size=7).map(
    lambda values: (np.cumsum([40.0 + 3 * i for i in range(len(values))]), np.array(values, dtype=float))
)


@given(knots_and_values)
def test_passes_through_its_points_and_does_not_overshoot(given_points):
    knots, values = given_points
    found = calm_basis(knots, values, overshoot=1.0)
    assert found.at(knots) @ values == pytest.approx(values, abs=1e-6)
    for i in range(len(knots) - 1):
        curve = found.at(np.linspace(knots[i], knots[i + 1], 60)) @ values
        assert curve.min() >= min(values[i], values[i + 1]) - 1.05
        assert curve.max() <= max(values[i], values[i + 1]) + 1.05


@given(knots_and_values)
def test_slope_and_curvature_do_not_jump_at_the_points(given_points):
    knots, values = given_points
    found = calm_basis(knots, values)
    step = 1e-4
    for knot in knots[1:-1]:
        slopes = found.at([knot - step, knot + step], slope=True) @ values
        assert slopes[0] == pytest.approx(slopes[1], abs=0.02)
        before = found.at([knot - 2 * step, knot - step], slope=True) @ values
        after = found.at([knot + step, knot + 2 * step], slope=True) @ values
        assert np.diff(before) / step == pytest.approx(np.diff(after) / step, abs=0.02)


@given(knots_and_values, st.floats(-3, 3))
def test_splines_on_one_basis_add_up(given_points, factor):
    knots, values = given_points
    found = basis(knots, strain=4.0)
    z = np.linspace(knots[0] - 10, knots[-1] + 10, 50)
    other = factor * values[::-1] + 5
    assert found.at(z) @ (values + other) == pytest.approx(found.at(z) @ values + found.at(z) @ other)


def test_without_tension_it_is_the_natural_cubic_spline():
    from scipy.interpolate import CubicSpline

    knots, values = np.array([0.0, 30, 70, 100]), np.array([5.0, 0, 9, 2])
    z = np.linspace(0, 100, 41)
    assert basis(knots).at(z) @ values == pytest.approx(CubicSpline(knots, values, bc_type="natural")(z), abs=1e-9)


def test_goes_on_straight_beyond_its_ends():
    found = basis([0, 10, 20])
    beyond = found.at([20, 25, 30]) @ np.array([0.0, 4, 2])
    assert beyond[1] - beyond[0] == pytest.approx(beyond[2] - beyond[1])


def test_refuses_knots_that_do_not_rise():
    with pytest.raises(ValueError, match="rise"):
        basis([0, 10, 10])


def test_hermite_keeps_its_ends_and_directions():
    up = np.array([0.0, 1.0])
    points = hermite(np.array([0.0, 0.0]), np.array([50.0, 10.0]), np.array([1.0, 0.0]), up, 401)
    assert points[0] == pytest.approx([0, 0])
    assert points[-1] == pytest.approx([50, 10])
    last = points[-1] - points[-2]
    assert abs(last[0]) < 0.02 * abs(last[1])
