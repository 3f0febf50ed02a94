"""Where a laced garment settles on a body that gives (model, section 3).

The lacing edges are beams, pulled together by the lace and held apart by the body. Their gap is the
minimum of a convex energy: EI/4·∫g''² + ∫q·g + the work done on the body, with g ≥ 0 where they touch.
"""

import math
import sys
from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
import numpy.typing as npt

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unsettled
from fuseau.craft.wearer.compression import tension_at

_PASSES = 80
_CUSHION_N_PER_M = 200.0  # for each mm that edges are pressed together
_LONGEST_STEP_MM = 60.0
_MANY_N = 3e-5  # out of balance, of one of many bodies: it moves a gap by less than 0.001 mm
_GAP_MM = 100.0  # how large gaps are, for what rounding leaves

Forces = tuple[Array, Array, Array]  # three arrays along the edge


@dataclass(frozen=True)
class Hold:
    """A garment about to be laced, sampled at heights `z_mm` (n,) along the lacing edge, rising and even.

    `natural_mm`, `give`: the body; `sewn_mm`: stitch line to stitch line, closed, stretched as worn;
    `take_up_mm`, `pull_n_per_m` (what the lace draws): the same everywhere or (n,); `edge_n_m2`: edge-wise stiffness of
    one edge; `pressure_scale_kpa`, `stiffening`, `onset`: how her flesh gives (model, section 2; see `compression`).
    """

    z_mm: Array
    natural_mm: Array
    give: Array
    sewn_mm: Array
    take_up_mm: float | Array
    pull_n_per_m: float | Array
    edge_n_m2: float
    pressure_scale_kpa: float = 2.0
    stiffening: float = 0.0
    onset: float = 0.0

    def tension_at(self, hoop_mm: Array) -> Forces:
        """Tension (N/m) of a hoop of this girth, and its derivatives by it and by the natural girth."""
        return tension_at(self.natural_mm, self.give, hoop_mm, self.pressure_scale_kpa, self.stiffening, self.onset)


@dataclass(frozen=True)
class Holds:
    """One garment about to be laced on many bodies: as `Hold`, with a row for each body.

    `natural_mm`, `give`, `sewn_mm`, `pull_n_per_m`: (bodies, points); `pressure_scale_kpa`, `stiffening`: (bodies,).
    """

    z_mm: Array
    natural_mm: Array
    give: Array
    sewn_mm: Array
    take_up_mm: float | Array
    pull_n_per_m: Array
    edge_n_m2: float
    pressure_scale_kpa: Array
    stiffening: Array

    def __len__(self) -> int:
        """How many bodies."""
        return len(self.natural_mm)

    def __getitem__(self, row: int) -> Hold:
        """The garment on one of them."""
        return Hold(
            z_mm=self.z_mm,
            natural_mm=self.natural_mm[row],
            give=self.give[row],
            sewn_mm=self.sewn_mm[row],
            take_up_mm=self.take_up_mm,
            pull_n_per_m=self.pull_n_per_m[row],
            edge_n_m2=self.edge_n_m2,
            pressure_scale_kpa=float(self.pressure_scale_kpa[row]),
            stiffening=float(self.stiffening[row]),
        )


@dataclass(frozen=True)
class Settled:
    """The equilibrium at the heights of its `hold`: gap (mm), hoop girth (mm), tension (N/m), contact (bool).

    `residual_n` is the largest force out of balance on a free point. The Hessian is kept for derivatives.
    """

    hold: Hold
    gap_mm: Array
    hoop_mm: Array
    tension_n_per_m: Array
    touching: Array
    residual_n: float
    hessian: Array

    @property
    def z(self) -> Array:
        """Heights along the lacing edge, mm."""
        return self.hold.z_mm

    @property
    def pressure_kpa(self) -> Array:
        """Mean pressure round the hoop, p = 2πT/C."""
        return 2 * math.pi * self.tension_n_per_m / self.hoop_mm

    def gap_by_force(self, force: Array) -> Array:
        """d(gap), (n, m) mm, for changes (n, m) of tension less pull in N/m at a standing gap."""
        weight = _weights(self.hold.z_mm)[:, None]
        if not self.touching.any():
            return np.asarray(np.linalg.solve(self.hessian, weight * force / 1000))
        free = np.flatnonzero(self.touching == 0)
        out = np.zeros_like(force)
        if len(free):
            weight = weight[free]
            out[free] = np.linalg.solve(self.hessian[np.ix_(free, free)], weight * force[free] / 1000)
        return out


def _weights(z: Array) -> Array:
    """Trapezoid weights (mm) of an even grid. Not to be written."""
    return _even_weights(len(z), float(z[1] - z[0]))


@lru_cache(maxsize=64)
def _even_weights(count: int, step: float) -> Array:
    weight = np.full(count, step)
    weight[[0, -1]] /= 2
    weight.setflags(write=False)
    return weight


@lru_cache(maxsize=64)
def _bending(n: int, step: float, edge_n_m2: float) -> Array:
    """Second derivative (N/mm) of EI/4·∫g''² by the gap; ends free, as the beam's natural condition. Not to be written.

    Each lacing edge is settled many times: on what the wearer may be, and for each pull and girth that is tried.
    """
    second = np.zeros((n - 2, n))
    rows = np.arange(n - 2)
    second[rows, rows], second[rows, rows + 1], second[rows, rows + 2] = 1, -2, 1
    return np.asarray(second.T @ second * (edge_n_m2 * 1e6 / 2 / step**3))


def _with_diagonal(matrix: Array, diagonal: Array) -> Array:
    """The sum of a matrix and a diagonal one."""
    array = matrix.copy()
    array.flat[:: len(diagonal) + 1] += diagonal
    return array


def settle(
    hold: Hold, *, overlap: bool = False, start: Array | None = None, cushion_mm: float | None = None
) -> Settled:
    """The gap at which lace, edges and body are in balance (model, section 3), by projected Newton.

    Parameters: `overlap` lets the edges pass each other (gap below zero), to tell how much too big a
    garment is; `start` is a gap (n,) in mm to begin from. With a `cushion_mm` edges that meet press on each other
    softly over so much, so that the gap follows whatever it depends on without a corner.
    Raises Unsettled if no balance is found in 80 passes. Deterministic; about a millisecond for 61 points.
    """
    z = hold.z_mm
    weight, bend = _weights(z), _bending(len(z), float(z[1] - z[0]), hold.edge_n_m2)
    base = hold.sewn_mm - hold.take_up_mm
    pull = np.asarray(hold.pull_n_per_m) / 1000

    def forces(gap: Array) -> Forces:  # gradient of the energy (N), dT/d(girth), tension
        tension, by_hoop, _ = hold.tension_at(base + gap)
        borne = tension
        if cushion_mm is not None:
            borne = tension + _CUSHION_N_PER_M * cushion_mm * np.logaddexp(0.0, -gap / cushion_mm)
            by_hoop = by_hoop - _CUSHION_N_PER_M / (1 + np.exp(np.minimum(gap / cushion_mm, 50.0)))
        gradient = bend @ gap + weight * (pull - borne / 1000)
        return gradient, by_hoop, tension

    overlap = overlap or cushion_mm is not None
    lowest = -np.inf if overlap else 0.0
    gap = np.maximum(_first_guess(hold, base) if start is None else start, lowest)
    enough = float(_enough(z, hold.edge_n_m2, np.asarray(np.mean(hold.pull_n_per_m)), weight))
    gradient, by_hoop, tension = forces(gap)
    for _ in range(_PASSES):
        touching = (gap <= 1e-9) & (gradient > 0) if not overlap else np.zeros(len(z), bool)
        worst = float(np.abs(np.where(touching, 0.0, gradient)).max())
        hessian = _with_diagonal(bend, weight * np.maximum(-by_hoop, 1e-4) / 1000)
        if worst < enough:
            return Settled(
                hold=hold,
                gap_mm=gap,
                hoop_mm=base + gap,
                tension_n_per_m=tension,
                touching=touching.astype(float),
                residual_n=worst,
                hessian=hessian,
            )
        if touching.any():
            free = np.flatnonzero(~touching)
            step = np.zeros_like(gap)
            step[free] = -np.linalg.solve(hessian[np.ix_(free, free)], gradient[free])
        else:
            step = np.asarray(-np.linalg.solve(hessian, gradient))
        gap, (gradient, by_hoop, tension) = _walk(gap, step, gradient, forces, lowest)
    settled = None if overlap else _held_apart(hold, bend, forces, enough)
    if settled is not None:
        return settled
    mean = float(np.mean(hold.pull_n_per_m))
    raise Unsettled("mock_up", "unsettled", pull_n_per_m=mean, off_n=worst)


@dataclass(frozen=True)
class Many:
    """Many balances of one garment: gap, hoop (mm), pressure (kPa), (m, n); `balanced` (m,) tells which were found."""

    gap_mm: Array
    hoop_mm: Array
    pressure_kpa: Array
    balanced: npt.NDArray[np.bool_]


def settle_many(holds: Holds, begin: Array | None = None) -> Many:
    """As `settle`, for one lacing edge on many bodies, each with its own flesh, girths and pull: Newton side by side.

    `begin` (bodies, points): gaps that they are thought to settle near, mm. Where no balance is found the row is what
    was reached.
    """
    z, count = holds.z_mm, len(holds.z_mm)
    weight, bend = _weights(z), _bending(count, float(z[1] - z[0]), holds.edge_n_m2)
    natural, give, base = holds.natural_mm, holds.give, holds.sewn_mm - holds.take_up_mm
    pull = holds.pull_n_per_m / 1000
    scale, stiffening = holds.pressure_scale_kpa[:, None], holds.stiffening[:, None]
    enough = np.maximum(_enough(z, holds.edge_n_m2, holds.pull_n_per_m.mean(axis=1), weight), _MANY_N)
    gap = _begin_many(holds[0], natural * (1 - 0.5 * give) - base) if begin is None else np.maximum(begin, 0.0)
    open_ = np.arange(len(holds))
    side, far = np.diag(bend, -1), np.diag(bend, -2)

    def forces(rows: npt.NDArray[np.int_], at: Array) -> tuple[Array, Array]:
        tension, by_hoop, _ = tension_at(natural[rows], give[rows], base[rows] + at, scale[rows], stiffening[rows])
        return at @ bend + weight * (pull[rows] - tension / 1000), by_hoop

    here = gap
    gradient, by_hoop = forces(open_, here)
    for _ in range(_PASSES):
        touching = (here <= 1e-9) & (gradient > 0)
        gradient = np.where(touching, 0.0, gradient)
        worst = np.abs(gradient).max(axis=1)
        going = worst >= enough[open_]
        open_, here, gradient, by_hoop = open_[going], here[going], gradient[going], by_hoop[going]
        touching = touching[going]
        if not len(open_):
            break
        # points that touch stand: they take no part in what the others do
        free = ~touching
        main = np.where(free, np.diag(bend) + weight * np.maximum(-by_hoop, 1e-4) / 1000, 1.0)
        beside, beyond = side * (free[:, 1:] & free[:, :-1]), far * (free[:, 2:] & free[:, :-2])
        step = -_solve_banded(main, beside, beyond, gradient)
        length = np.minimum(1.0, _LONGEST_STEP_MM / np.maximum(np.abs(step).max(axis=1), 1e-12))
        downhill = np.abs(np.einsum("ij,ij->i", gradient, step))
        uphill = np.ones(len(open_), dtype=bool)
        following = here
        for _ in range(30):
            following = np.where(uphill[:, None], np.maximum(here + length[:, None] * step, 0.0), following)
            ahead, by_hoop = forces(open_, following)
            uphill = np.einsum("ij,ij->i", ahead, following - here) > 0.5 * downhill * length
            if not uphill.any():
                break
            length = np.where(uphill, length / 2, length)
        gap[open_], here, gradient = following, following, ahead
    balanced = np.ones(len(holds), dtype=bool)
    for row in map(int, open_):  # stiff edges that just touch: each by itself, from inside
        try:
            gap[row] = settle(holds[row]).gap_mm
        except Unsettled:
            balanced[row] = False
    hoop = base + gap
    tension, *_ = tension_at(natural, give, hoop, scale, stiffening)
    return Many(gap, hoop, 2 * math.pi * tension / hoop, balanced)


def _begin_many(first: Hold, guess: Array) -> Array:
    """Where to begin: the balance of the first, and for each other so much more or less as a parabola of its guess is.

    `guess` (holds, points), mm, of which the first row is the first's.
    """
    try:
        balance = settle(first).gap_mm
    except Unsettled:
        return np.maximum(guess, 0.0)
    parabolas = np.vander(np.linspace(-1, 1, guess.shape[1]), 3)
    lift = (guess - guess[0]) @ parabolas @ np.linalg.pinv(parabolas)
    return np.maximum(balance + lift, 0.0)


def _solve_banded(main: Array, side: Array, far: Array, right: Array) -> Array:
    """Symmetric positive definite systems of five diagonals, side by side: L·D·Lᵀ, no pivots (Golub, Van Loan, 4.3).

    `main`, `right` (systems, points); `side`, `far` the first and second diagonal beside it; the answer like `right`.
    """
    a, b = main.T.copy(), right.T.copy()
    e, f = side.T.copy(), far.T.copy()
    for i in range(1, len(a)):
        below = e[i - 1]
        if i > 1:
            second = f[i - 2] / a[i - 2]
            below = below - f[i - 2] * e[i - 2]  # e holds L's first diagonal by now
            a[i] -= second * f[i - 2]
            b[i] -= second * b[i - 2]
            f[i - 2] = second
        first = below / a[i - 1]
        a[i] -= first * below
        b[i] -= first * b[i - 1]
        e[i - 1] = first
    b /= a
    for i in range(len(a) - 2, -1, -1):
        b[i] -= e[i] * b[i + 1]
        if i + 2 < len(a):
            b[i] -= f[i] * b[i + 2]
    return np.ascontiguousarray(b.T)


def _enough(z: Array, edge_n_m2: float, pull_n_per_m: Array, weight: Array) -> Array:
    """The largest force out of balance, N, that is as good as none (model, section 3: a short edge settles too)."""
    stiffest = edge_n_m2 * 1e6 * 3 / float(z[1] - z[0]) ** 3
    rounding = 8 * sys.float_info.epsilon * stiffest * _GAP_MM
    return np.maximum(1e-7 * np.maximum(1.0, pull_n_per_m / 1000 * float(weight.sum())), rounding)


def _held_apart(hold: Hold, bend: Array, forces: Callable[[Array], Forces], enough: float) -> Settled | None:
    """The balance found from inside, where stiff edges just touch and the set of touching points won't stand.

    A force μ/g holds the edges apart and is let go by and by; at the end it is what they press on each other with.
    None if even that does not end.
    """
    weight = _weights(hold.z_mm)
    gap = np.maximum(_first_guess(hold, hold.sewn_mm - hold.take_up_mm), 5.0)
    apart = 30.0

    def held(at: Array) -> Forces:
        gradient, by_hoop, tension = forces(at)
        return gradient - apart / at, by_hoop, tension

    for _ in range(6 * _PASSES):
        gradient, by_hoop, tension = held(gap)
        worst = float(np.max(np.abs(gradient)))
        hessian = _with_diagonal(bend, weight * np.maximum(-by_hoop, 1e-4) / 1000)
        if worst < max(enough, 0.1 * apart):
            if apart < 1e-6:
                hoop = hold.sewn_mm - hold.take_up_mm + gap
                return Settled(
                    hold=hold,
                    gap_mm=gap,
                    hoop_mm=hoop,
                    tension_n_per_m=tension,
                    touching=(apart / gap > enough).astype(float),
                    residual_n=worst,
                    hessian=hessian,
                )
            apart *= 0.2
            continue
        step = np.asarray(-np.linalg.solve(_with_diagonal(hessian, apart / gap**2), gradient), dtype=np.float64)
        step *= min(1.0, 0.9 / max(float(np.max(-step / gap)), 1e-12))
        gap, _ = _walk(gap, step, gradient, held, 1e-12)
    return None


def tie(hold: Hold, gap_mm: float) -> Settled:
    """The garment closed or tied at a gap (mm), whatever the pull: tension follows from the girth (model, section 3).

    A mock-up that is pinned shut is tied at 0.
    """
    gap = np.full(len(hold.z_mm), float(gap_mm))
    hoop = hold.sewn_mm - hold.take_up_mm + gap
    tension, *_ = hold.tension_at(hoop)
    return Settled(
        hold=hold,
        gap_mm=gap,
        hoop_mm=hoop,
        tension_n_per_m=tension,
        touching=np.ones(len(gap)),
        residual_n=0.0,
        hessian=np.eye(len(gap)),
    )


def tie_many(holds: Holds, gap_mm: float) -> Many:
    """As `tie`, for one garment on many bodies."""
    gap = np.full(holds.natural_mm.shape, float(gap_mm))
    hoop = holds.sewn_mm - holds.take_up_mm + gap
    scale, stiffening = holds.pressure_scale_kpa[:, None], holds.stiffening[:, None]
    tension, *_ = tension_at(holds.natural_mm, holds.give, hoop, scale, stiffening)
    return Many(gap, hoop, 2 * math.pi * tension / hoop, np.ones(len(holds), dtype=bool))


def _first_guess(hold: Hold, base: Array) -> Array:
    """Open everywhere to nine tenths of what the body gives: inside the domain, close to the answer."""
    return np.maximum(hold.natural_mm * (1 - 0.5 * hold.give) - base, 0.0)


def _walk(
    gap: Array, step: Array, gradient: Array, forces: Callable[[Array], Forces], lowest: float
) -> tuple[Array, Forces]:
    """The longest of the halved steps along which the energy is not climbing steeply at its end.

    By convexity E(end) − E(start) ≤ slope at the end along the move: a slope that is not uphill is a descent,
    and a little uphill is allowed as long as it has shrunk (the strong Wolfe condition).
    """
    length = min(1.0, _LONGEST_STEP_MM / max(float(np.max(np.abs(step))), 1e-12))
    downhill = float(gradient @ step)
    for _ in range(30):
        following = np.maximum(gap + length * step, lowest)
        found = forces(following)
        if float(found[0] @ (following - gap)) <= 0.5 * abs(downhill) * length:
            break
        length /= 2
    return following, found
