"""What a fitting teaches: the girths of the body, corrected through the model from the gaps that were read.

Maximum a posteriori by damped Gauss–Newton (model, section 6): the tape's estimates are the prior, each gap reading
an observation with its spread, and derivatives come from the converged Newton system of `settle`.
"""

from dataclasses import dataclass

import numpy as np

from fuseau.craft.body import Body
from fuseau.craft.curves import Array
from fuseau.craft.fit import Lacing
from fuseau.craft.record import Record
from fuseau.craft.settling import Unsettled, settle
from fuseau.craft.wearer import LevelName

_PASSES = 40
_LONGEST_STEP_MM = 40.0
_CLOSE = 1e-4  # of the negative log posterior: far below anything a reading could tell
_FAR = 0.05


@dataclass(frozen=True)
class Tried:
    """One fitting: the garment as it was laced, and gaps read at heights on the lacing edge, all (m,)."""

    number: int
    lacing: Lacing
    z_mm: Array
    gap_mm: Array
    spread_mm: Array


class LearnedLevel(Record):
    """A level as the tape had it, and as now believed."""

    name: LevelName
    measured_mm: float
    measured_spread_mm: float
    believed_mm: float
    believed_spread_mm: float


class Reading(Record):
    """A gap as read, as the model expects it after learning, and how many spreads lie between."""

    fitting: int
    z_mm: float
    read_mm: float
    expected_mm: float
    spreads_off: float


class Learned(Record):
    """What all fittings together say of the body."""

    levels: tuple[LearnedLevel, ...]
    readings: tuple[Reading, ...]


@dataclass(frozen=True)
class _Linear:
    """Gradient, Gauss–Newton Hessian and value of the negative log posterior; gaps as read and along the edge."""

    gradient: Array
    hessian: Array
    cost: float
    expected: list[Array]
    settled_mm: list[Array]


def learn(prior: Body, tried: list[Tried]) -> tuple[Body, Learned]:
    """The body as believed after the fittings, and how it compares. Without fittings the body is unchanged.

    Raises Unsettled when no girths explain the readings.
    """
    mean = np.array([level.girth_mm for level in prior])
    precision = np.diag(1 / np.array([level.spread_mm for level in prior]) ** 2)
    sights = [_sight(one, prior) for one in tried]
    girths = mean
    here = _linearise(girths, mean, precision, sights)
    damping = 0.0
    for _ in range(_PASSES):
        step = -np.linalg.solve(here.hessian + damping * np.diag(np.diag(here.hessian)), here.gradient)
        step *= min(1.0, _LONGEST_STEP_MM / max(float(np.max(np.abs(step))), 1e-9))
        promised = -float(here.gradient @ step) - float(step @ here.hessian @ step) / 2
        if promised < _CLOSE:
            break
        there = _linearise(girths + step, mean, precision, sights, here)
        kept = (here.cost - there.cost) / promised
        if kept > 0:
            girths, here = girths + step, there
        # Levenberg and Marquardt: where a level goes slack the gaps bend away from the line, so trust it less
        damping = damping / 4 if kept > 0.75 else max(0.05, damping * 4) if kept < 0.4 else damping
    else:
        if promised > _FAR:
            raise Unsettled("No girths explain these gap readings: look at each of them again.")
    spreads = np.sqrt(np.diag(np.linalg.inv(here.hessian)))
    believed = prior.with_girths(girths, spreads) if tried else prior
    return believed, _compared(prior, believed, tried, here.expected)


@dataclass(frozen=True)
class _Sight:
    """A fitting with the maps that stay while girths are sought: body levels to heights, heights to readings."""

    tried: Tried
    matrix: Array
    give: Array
    pick: Array


def _sight(one: Tried, prior: Body) -> _Sight:
    return _Sight(one, one.lacing.body_matrix(prior), one.lacing.give(prior), _picking(one.lacing.z, one.z_mm))


def _linearise(
    girths: Array, mean: Array, precision: Array, sights: list[_Sight], near: _Linear | None = None
) -> _Linear:
    """Settle every fitting on these girths, beginning from where they settled `near` by."""
    gradient = precision @ (girths - mean)
    hessian = precision.copy()
    cost = float((girths - mean) @ gradient) / 2
    expected, settled_mm = [], []
    for i, sight in enumerate(sights):
        one = sight.tried
        start = near.settled_mm[i] if near else None
        settled = settle(one.lacing.hold(sight.matrix @ girths, sight.give), start=start)
        settled_mm.append(settled.gap_mm)
        gaps = sight.pick @ settled.gap_mm
        jacobian = sight.pick @ settled.gap_by_natural() @ sight.matrix
        off = (gaps - one.gap_mm) / one.spread_mm
        scaled = jacobian / one.spread_mm[:, None]
        gradient = gradient + scaled.T @ off
        hessian = hessian + scaled.T @ scaled
        cost += float(off @ off) / 2
        expected.append(gaps)
    return _Linear(gradient, hessian, cost, expected, settled_mm)


def _picking(grid: Array, at: Array) -> Array:
    """(len(at), len(grid)): linear interpolation on the grid as a matrix."""
    i = np.clip(np.searchsorted(grid, at) - 1, 0, len(grid) - 2)
    share = np.clip((at - grid[i]) / (grid[i + 1] - grid[i]), 0, 1)
    matrix = np.zeros((len(at), len(grid)))
    rows = np.arange(len(at))
    matrix[rows, i], matrix[rows, i + 1] = 1 - share, share
    return matrix


def _compared(prior: Body, believed: Body, tried: list[Tried], expected: list[Array]) -> Learned:
    return Learned(
        levels=tuple(
            LearnedLevel(
                name=old.name,
                measured_mm=old.girth_mm,
                measured_spread_mm=old.spread_mm,
                believed_mm=new.girth_mm,
                believed_spread_mm=new.spread_mm,
            )
            for old, new in zip(prior, believed, strict=True)
        )[::-1],
        readings=tuple(
            Reading(
                fitting=one.number,
                z_mm=float(z),
                read_mm=float(read),
                expected_mm=float(gap),
                spreads_off=float(abs(read - gap) / spread),
            )
            for one, gaps in zip(tried, expected, strict=True)
            for z, read, gap, spread in zip(one.z_mm, one.gap_mm, gaps, one.spread_mm, strict=True)
        ),
    )
