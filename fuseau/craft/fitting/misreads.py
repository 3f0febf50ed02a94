"""What readings cost that are off: heavy in their tails, and with one answer (model, section 6).

A reading that is a little off costs what Student's law with four degrees of freedom says. Where that would begin to let
go of it the cost goes on almost straight: a single misread hardly counts, and still the sum is convex, so that what is
believed has one mode and follows the readings without a jump. Gaps that were read along one edge are apart from each
other, or together: what they have in common, a level and a lean, is no misread and counts in full, however far it is
from what was thought; only what each has beside the others is held against its tail.
"""

from dataclasses import dataclass

import numpy as np

from fuseau.craft.base.curves import Array

_STUDENT = 4.0  # degrees of freedom of what is read: a tail for the misread
_STEEPEST = 2.0  # spreads at which Student's law pulls the hardest, √ν; from there the cost goes on straight
_FULL = (_STUDENT + 1) / _STUDENT  # how it curves in the middle
_PULL = (_STUDENT + 1) * _STEEPEST / (_STUDENT + _STEEPEST**2)
_BENT = 0.03  # how the tail curves still, so that what lies between two that contradict is told too
_LEANS_FROM = 4  # readings: of fewer, one that is misread looks like a lean
_PASSES, _HALVINGS = 60, 30


@dataclass(frozen=True)
class Cost:
    """What readings off by so many spreads cost, and its slope (n,) and curvature (n, n) by them.

    `square` is their part of χ², misreads as their tails count them. `apart` (n,): how far each is from the others, in
    spreads, as far as it is from what is expected too.
    """

    value: float
    square: float
    slope: Array
    curvature: Array
    apart: Array


def tail(off: Array) -> tuple[Array, Array, Array]:
    """What readings off by so many spreads cost each, with slope and curvature.

    >>> cost, slope, _ = tail(np.array([1.0, 10.0]))
    >>> cost.round(2), slope.round(2)
    (array([ 0.56, 12.69]), array([1.  , 1.49]))
    """
    far = np.abs(off)
    inside = np.minimum(far, _STEEPEST)
    beyond = far - inside
    square = _STUDENT + inside**2
    cost = (_STUDENT + 1) / 2 * np.log1p(inside**2 / _STUDENT) + _PULL * beyond + _BENT * beyond**2 / 2
    slope = np.sign(off) * ((_STUDENT + 1) * inside / square + _BENT * beyond)
    curve = np.where(beyond > 0, _BENT, np.maximum((_STUDENT + 1) * (_STUDENT - inside**2) / square**2, _BENT))
    return cost, slope, curve


def each(off: Array) -> Cost:
    """Readings that have nothing in common: each has its own tail."""
    cost, slope, _ = tail(off)
    weight = _weights(off, slope)
    return Cost(
        value=float(cost.sum()), square=float(off @ slope), slope=slope, curvature=np.diag(weight), apart=np.abs(off)
    )


def together(off: Array, heights_mm: Array, common_spreads: float = 0.0) -> Cost:
    """Gaps read at heights along one edge, off by so many spreads.

    `common_spreads`: by how many spreads all of them may be off alike for a reason that is none of hers.
    """
    count = len(off)
    if not count:
        return Cost(value=0.0, square=0.0, slope=off, curvature=np.zeros((0, 0)), apart=off)
    line = _line(heights_mm)
    trend = _trend(off, line)
    alike = line @ trend
    cost, slope, curve = tail(off - alike)
    # how the trend follows the readings: exact, since every tail curves
    follows = line @ np.linalg.solve(line.T @ (curve[:, None] * line), line.T * curve)
    known = np.full(line.shape[1], 1.0 / count)  # spreads squared of the level and the lean
    known[0] += common_spreads**2
    sure = _FULL / known  # the columns of a line stand square to each other
    own = np.eye(count) - follows
    weight = _weights(off - alike, slope)
    by_trend = line.T @ follows / count
    return Cost(
        value=float(cost.sum() + sure @ trend**2 / 2),
        square=float((off - alike) @ slope + sure @ trend**2 / _FULL),
        slope=slope + by_trend.T @ (sure * trend),
        curvature=own.T @ (weight[:, None] * own) + by_trend.T @ (sure[:, None] * by_trend),
        apart=np.minimum(np.abs(off - alike), np.abs(off)),
    )


def _weights(off: Array, slope: Array) -> Array:
    """Slope by distance, which for a convex tail is a curvature that never steps too far."""
    return np.where(np.abs(off) > 1e-9, slope / np.where(np.abs(off) > 1e-9, off, 1.0), _FULL)


def _line(heights_mm: Array) -> Array:
    """(n, 1 or 2): a level, and from four heights on a lean; its columns are square to each other, of length √n."""
    spread = float(np.std(heights_mm))
    level = np.ones(len(heights_mm))
    if len(heights_mm) < _LEANS_FROM or spread < 1e-6:
        return level[:, None]
    return np.column_stack([level, (heights_mm - heights_mm.mean()) / spread])


def _trend(off: Array, line: Array) -> Array:
    """The level and lean that readings have in common: the least sum of tails beside it, by Newton's method."""
    trend = line.T @ off / len(off)
    cost, slope, curve = tail(off - line @ trend)
    for _ in range(_PASSES):
        step = np.linalg.solve(line.T @ (curve[:, None] * line), line.T @ slope)
        if float(np.abs(step).max()) < 1e-7:
            break
        before = float(cost.sum())
        for _ in range(_HALVINGS):  # a tail bends less than where it is left
            cost, slope, curve = tail(off - line @ (trend + step))
            if float(cost.sum()) <= before:
                break
            step = step / 2
        trend = trend + step
    return np.asarray(trend)
