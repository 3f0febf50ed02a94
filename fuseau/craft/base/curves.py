"""Smooth curves through given points: splines in tension.

A spline in tension (Schweikert 1966; Späth, *One Dimensional Spline Interpolation*) passes through its
points with continuous curvature, and as the tension of an interval grows it nears the straight line there.
SciPy has cubic splines, which overshoot, and PCHIP, whose curvature jumps; a seam may do neither.
"""

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import cached_property, lru_cache

import numpy as np
from numpy.typing import ArrayLike, NDArray

Array = NDArray[np.float64]

_FLAT = 1e-3
_TIGHTEST = 64.0
_CALM_SHARE, _CALM_ENOUGH = 0.9, 0.02  # of what curves may leave by; how near to that is near enough
_CALMING_PASSES, _DAMPINGS = 40, 5
_FAR_WITHIN = 6.0
_NO_STRAIN = 0.02
# Of an interval, where its curves are looked at: the same from both ends, and closer there, where tense ones bulge.
_SHARES = (1 - np.cos(np.linspace(0, np.pi, 21)[1:-1])) / 2
MOST_STRAIN = 2 * _TIGHTEST  # patterns made by doubling had up to this
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

    `values` is (k,) or (k, m) for m curves that share the basis; units are those of the values. An interval has no
    tension, or that at which its curves leave by nine tenths of `overshoot` (damped Newton over those that have some):
    so it follows the values without a step, and a millimetre more at one knot moves no curve far elsewhere.
    """
    z = np.asarray(knots, dtype=float)
    leaving = _Leaving(z, np.asarray(values, dtype=float).reshape(len(z), -1), _CALM_SHARE * overshoot)
    strain = np.zeros(len(z) - 1)
    off = leaving.by(strain[None])[0]
    for _ in range(_CALMING_PASSES):
        tense = _tense(strain, off)
        if float(np.abs(off[tense]).max(initial=0.0)) < _CALM_ENOUGH:
            break
        wanted = strain + _tension_step(leaving, strain, off, np.flatnonzero(tense))
        for turn in range(_DAMPINGS):
            following = np.where(wanted < _NO_STRAIN, 0.0, wanted)
            ahead = leaving.by(following[None])[0]
            nearer = float(np.sum(ahead[_tense(following, ahead)] ** 2)) < float(np.sum(off[tense] ** 2))
            if nearer or turn == _DAMPINGS - 1:
                break
            wanted = strain + (wanted - strain) * 0.4
        strain, off = following, ahead
    return basis(z, strain)


@dataclass(frozen=True)
class _Leaving:
    """By how far curves through `values` (k, m) at knots `z` leave the span of two neighbours, beside what they may."""

    z: Array
    values: Array
    may: float

    @cached_property
    def _span(self) -> tuple[Array, Array, Array]:
        """Lowest and highest of neighbours, (k-1, 1, m), and the straight line between them, (k-1, shares, m)."""
        below, above = self.values[:-1, None], self.values[1:, None]
        straight = below + (above - below) * _SHARES[:, None]
        return np.minimum(below, above), np.maximum(below, above), straight

    @cached_property
    def _turns(self) -> Array:
        """How the slope of the straight lines turns at the inner knots, (k-2, m)."""
        return np.diff(np.diff(self.values, axis=0) / np.diff(self.z)[:, None], axis=0)

    def by(self, strains: Array) -> Array:
        """For strains (n, k-1): 0 where a curve leaves as far as it may, above it the logarithm, since it falls so."""
        h = np.diff(self.z)
        s = np.maximum(strains, _FLAT)  # so near to none that no curve shows it
        sinh, square = np.sinh(s), s * s
        own, other = h * (s / np.tanh(s) - 1) / square, h * (1 - s / sinh) / square
        matrix = np.zeros((len(s), len(h) - 1, len(h) - 1))
        inner = np.arange(len(h) - 1)
        matrix[:, inner, inner] = own[:, :-1] + own[:, 1:]
        matrix[:, inner[1:], inner[:-1]] = matrix[:, inner[:-1], inner[1:]] = other[:, 1:-1]
        curvatures = np.zeros((len(s), *self.values.shape))
        curvatures[:, 1:-1] = np.linalg.solve(matrix, self._turns[None])
        scaled = (h * h / square)[:, :, None]
        bulge = (np.sinh(s[:, :, None] * _SHARES) / sinh[:, :, None] - _SHARES) * scaled  # and its mirror
        low, high, straight = self._span
        curve = straight + bulge[:, :, ::-1, None] * curvatures[:, :-1, None]
        curve += bulge[..., None] * curvatures[:, 1:, None]
        out = np.maximum(low - curve, curve - high).max(axis=(2, 3)) / self.may
        return np.where(out < 1, np.maximum(out, -_FAR_WITHIN) - 1, np.log(np.maximum(out, 1)))


def _tense(strain: Array, off: Array) -> NDArray[np.bool_]:
    """The intervals whose tension is still sought: those that have some or need some, but for the tightest."""
    return ((strain > 0) | (off > 0)) & ~((strain >= _TIGHTEST) & (off > 0))


def _tension_step(leaving: _Leaving, strain: Array, off: Array, tense: NDArray[np.int_]) -> Array:
    """Newton's step (intervals,) toward curves that leave as far as they may, by differences; about twice at most."""
    more = 0.02 * (1 + strain[tense])
    moved = np.tile(strain, (len(tense), 1))
    moved[np.arange(len(tense)), tense] += more
    by = (leaving.by(moved) - off)[:, tense].T / more
    step = np.zeros(len(strain))
    step[tense] = -np.linalg.lstsq(by, off[tense], rcond=None)[0]
    return np.clip(step, -strain / 2 - 0.25, np.minimum(strain + 2, _TIGHTEST - strain))


def picking(grid: Array, at: Array, slope: bool = False) -> Array:
    """(len(at), len(grid)): linear interpolation on the grid as a matrix, or its slope; beyond the ends it is level."""
    i = np.clip(np.searchsorted(grid, at) - 1, 0, len(grid) - 2)
    step = grid[i + 1] - grid[i]
    if slope:
        inside = ((at >= grid[0]) & (at <= grid[-1])).astype(float)
        array = np.zeros((len(at), len(grid)))
        rows = np.arange(len(at))
        array[rows, i], array[rows, i + 1] = -inside / step, inside / step
        return array
    share = np.clip((at - grid[i]) / step, 0, 1)
    matrix = np.zeros((len(at), len(grid)))
    rows = np.arange(len(at))
    matrix[rows, i], matrix[rows, i + 1] = 1 - share, share
    return matrix


def lengths_along(x: Array, z: Array) -> Array:
    """Running length of the polyline through (x, z), starting at 0; same shape as `x`."""
    return np.concatenate([[0.0], np.cumsum(np.hypot(np.diff(x), np.diff(z)))])


def parallel(path: Array, aside_mm: float) -> Array:
    """A path beside another, (n, 2): each point moved square to the way the path runs, to its right where positive.

    >>> parallel(np.array([[0.0, 0.0], [0.0, 10.0], [0.0, 20.0]]), 3.0)[:, 0].tolist()
    [3.0, 3.0, 3.0]
    """
    along = np.gradient(path, axis=0)
    along /= np.hypot(along[:, 0], along[:, 1])[:, None]
    return np.asarray(path + aside_mm * np.column_stack([along[:, 1], -along[:, 0]]))


def carried_on(path: Array, by_mm: float) -> Array:
    """A path with a straight piece before its beginning and after its end, (n + 2, 2)."""
    before, after = path[0] - path[1], path[-1] - path[-2]
    ends = [end + by_mm * way / np.hypot(*way) for end, way in ((path[0], before), (path[-1], after))]
    return np.vstack([ends[0], path, ends[1]])


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
