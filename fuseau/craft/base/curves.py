"""Smooth curves through given points: splines in tension.

A spline in tension (Schweikert 1966; Späth, *One Dimensional Spline Interpolation*) passes through its
points with continuous curvature, and as the tension of an interval grows it nears the straight line there.
SciPy has cubic splines, which overshoot, and PCHIP, whose curvature jumps; a seam may do neither.
"""

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import lru_cache

import numpy as np
from numpy.typing import ArrayLike, NDArray

Array = NDArray[np.float64]

_FLAT = 1e-3
_TIGHTEST = 64.0
MOST_STRAIN = 2 * _TIGHTEST  # by doubling, what is calm enough is found below this
_MOST_MET = 64


@dataclass(frozen=True, eq=False)
class Basis:
    """The linear map from values at the knots to a spline in tension: shapes `knots` (k,), `strain` (k-1,).

    `strain` is tension times interval length (0 is a cubic spline). Since the map is linear, splines of
    several edges on one basis add up to the spline of their sum: panel widths add up at every height.
    """

    knots: Array
    strain: Array
    curvatures: Array
    _met: dict[tuple[bytes, bool], Array] = field(default_factory=dict, repr=False)

    def at(self, z: ArrayLike, slope: bool = False) -> Array:
        """The matrix (len(z), k) that takes knot values to values (or slopes) at heights `z`.

        Beyond the ends the spline goes on straight, where its curvature is zero.
        """
        heights = np.atleast_1d(np.asarray(z, dtype=float))
        asked = heights.tobytes(), slope
        matrix = self._met.get(asked)  # the same heights are asked for again and again, and sinh is slow
        if matrix is None:
            if len(self._met) >= _MOST_MET:
                self._met.clear()
            matrix = self._met[asked] = self._at(heights, slope)
            matrix.setflags(write=False)
        return matrix

    def _at(self, heights: Array, slope: bool) -> Array:
        inside = np.clip(heights, self.knots[0], self.knots[-1])
        matrix = self._inside(inside, slope)
        beyond = heights - inside
        if slope or not beyond.any():
            return matrix
        return matrix + beyond[:, None] * self._inside(inside, slope=True)

    def _inside(self, z: Array, slope: bool) -> Array:
        last = len(self.knots) - 2
        i = np.clip(np.searchsorted(self.knots, z, side="right") - 1, 0, last)
        h = np.diff(self.knots)[i]
        u = (z - self.knots[i]) / h
        s = self.strain[i]
        rows = np.arange(len(z))
        matrix = np.zeros((len(z), len(self.knots)))
        if slope:
            matrix[rows, i], matrix[rows, i + 1] = -1 / h, 1 / h
            low, high = _bulge_slope(np.stack([1 - u, u]), s) * h
            low = -low
        else:
            matrix[rows, i], matrix[rows, i + 1] = 1 - u, u
            low, high = _bulge(np.stack([1 - u, u]), s) * h * h
        return matrix + low[:, None] * self.curvatures[i] + high[:, None] * self.curvatures[i + 1]


def _bulge(u: Array, s: Array) -> Array:
    """(sinh(su)/sinh(s) - u)/s², or its limit (u³ - u)/6."""
    if not (s >= _FLAT).any():
        return (u * u * u - u) / 6
    safe = np.where(s < _FLAT, 1.0, s)
    return np.where(s < _FLAT, (u**3 - u) / 6, (np.sinh(safe * u) / np.sinh(safe) - u) / safe**2)


def _bulge_slope(u: Array, s: Array) -> Array:
    safe = np.where(s < _FLAT, 1.0, s)
    return np.where(s < _FLAT, (3 * u**2 - 1) / 6, (safe * np.cosh(safe * u) / np.sinh(safe) - 1) / safe**2)


def basis(knots: ArrayLike, strain: ArrayLike | float = 0.0) -> Basis:
    """A basis over rising `knots` (k ≥ 2), with `strain` per interval. Raises ValueError if knots don't rise."""
    z = np.asarray(knots, dtype=float)
    if len(z) < 2 or not (np.diff(z) > 0).all():
        raise ValueError("knots must rise, and be two at least")
    s = np.broadcast_to(np.asarray(strain, dtype=float), (len(z) - 1,))
    return _basis(z.tobytes(), s.tobytes())


@lru_cache(maxsize=256)
def _basis(knots: bytes, strain: bytes) -> Basis:
    """Many bodies and edges share their heights, and differ in their values only: their basis is made once."""
    z, s = np.frombuffer(knots), np.frombuffer(strain)
    count = len(z)
    h = np.diff(z)
    safe = np.where(s < _FLAT, 1.0, s)
    own = h * np.where(s < _FLAT, 1 / 3, (safe / np.tanh(safe) - 1) / safe**2)
    other = h * np.where(s < _FLAT, 1 / 6, (1 - safe / np.sinh(safe)) / safe**2)
    left, right = np.eye(count), np.zeros((count, count))
    for i in range(1, count - 1):
        left[i, i - 1], left[i, i], left[i, i + 1] = other[i - 1], own[i - 1] + own[i], other[i]
        right[i, i - 1], right[i, i], right[i, i + 1] = 1 / h[i - 1], -1 / h[i - 1] - 1 / h[i], 1 / h[i]
    return Basis(z, s, np.asarray(np.linalg.solve(left, right), dtype=float))


def calm_basis(knots: ArrayLike, values: ArrayLike, overshoot: float = 1.0) -> Basis:
    """A basis just tense enough that no curve leaves the span of two neighbouring points by `overshoot`.

    `values` is (k,) or (k, m) for m curves that share the basis; units are those of the values.
    """
    z = np.asarray(knots, dtype=float)
    y = np.asarray(values, dtype=float).reshape(len(z), -1)
    low, high = np.minimum(y[:-1], y[1:]), np.maximum(y[:-1], y[1:])
    share = np.linspace(0, 1, 17)[1:-1]
    inner = (z[:-1, None] + np.diff(z)[:, None] * share).ravel()
    strain = np.zeros(len(z) - 1)
    while True:
        found = basis(z, strain)
        curve = (found.at(inner) @ y).reshape(len(strain), len(share), -1)
        out = np.maximum(low[:, None] - curve, curve - high[:, None]).max(axis=(1, 2))
        loose = (out > 0.9 * overshoot) & (strain < _TIGHTEST)
        if not loose.any():
            return found
        strain = np.where(loose, np.maximum(1.5, strain * 2), strain)


def lengths_along(x: Array, z: Array) -> Array:
    """Running length of the polyline through (x, z), starting at 0; same shape as `x`."""
    return np.concatenate([[0.0], np.cumsum(np.hypot(np.diff(x), np.diff(z)))])


@lru_cache(maxsize=16)
def _hermite_weights(count: int) -> Array:
    return _weights_at(np.linspace(0, 1, count))


def _weights_at(t: Array) -> Array:
    """Cubic Hermite weights (n, 4) of start, tangent at the start, end, tangent at the end, at parameters (n,)."""
    return np.column_stack([2 * t**3 - 3 * t**2 + 1, t**3 - 2 * t**2 + t, 3 * t**2 - 2 * t**3, t**3 - t**2])


def hermite(start: Array, end: Array, start_direction: Array, end_direction: Array, at: int | Array = 17) -> Array:
    """Points (n, 2) of the cubic from `start` to `end` with unit tangents at its ends.

    `at`: so many of them, evenly, or the parameters (n,) from 0 to 1 that they lie at. For several pieces at once all
    are (pieces, 2), and the answer is (pieces, n, 2).
    """
    step = end - start
    chord = np.hypot(step[..., 0], step[..., 1])[..., None]
    given = np.stack([start, chord * start_direction, end, chord * end_direction], axis=-2)
    weights = _hermite_weights(at) if isinstance(at, int) else _weights_at(at)
    return np.asarray(weights @ given)


def length_of(line: Sequence[tuple[float, float]]) -> float:
    """How long a line through points is.

    >>> length_of([(0, 0), (3, 4), (3, 10)])
    11.0
    """
    return float(np.hypot(*np.diff(np.array(line, dtype=float), axis=0).T).sum())


def area_of(outline: Sequence[tuple[float, float]]) -> float:
    """The area within a closed line through points, whichever way round.

    >>> area_of([(0, 0), (0, 2), (3, 2), (3, 0)])
    6.0
    """
    x, z = np.array(outline, dtype=float).T
    return abs(float(x @ np.roll(z, 1) - z @ np.roll(x, 1))) / 2
