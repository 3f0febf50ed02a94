"""Where to take in and let out: a wanted change of girth, placed on the seams (model, section 5)."""

from dataclasses import dataclass

import numpy as np
import numpy.typing as npt

from fuseau.craft.base.curves import Array, calm_basis
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.alterations import Alteration, seam_change
from fuseau.craft.pattern.drafting import back_share_of_seams, front_share_of_seams
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.refit import gathered, meant_front
from fuseau.craft.wearer.body import Body

_FRONT_MM = 0.5  # how closely front and back keep to their share
_SMOOTH = 0.15  # weight of second differences along a seam, beside the amounts themselves
_FREE = 1e6


@dataclass(frozen=True)
class Placed:
    """An alteration, and what of the wanted half girth it could not take, (stations,) in mm."""

    alteration: Alteration
    left_mm: Array


def place(
    pattern: Pattern, body: Body, girths_mm: Array, gap_mm: float, practice: Practice, *, finished: bool = False
) -> Placed:
    """The alteration that brings a pattern to these sewn girths (levels,), as gently as the seams allow.

    Minimises Σ(δ/w)² + λ·Σ(second differences along z)², w² the draft's shares. At every station the amounts add up to
    the wanted change of the half girth; no seam moves by more than `seam_cap_mm` within the garment; CF and CB stay. A
    `finished` garment is let out only by its allowances.
    """
    wanted_front, wanted_back, shares = _wanted(pattern, body, girths_mm, gap_mm)
    wanted = wanted_front + wanted_back
    cap = np.where(_within(pattern), practice.seam_cap_mm, _FREE)
    seams = shares.shape[1] // 2
    out = np.tile(cap[:, None], (1, seams))
    if finished:
        given = [2 * max(pattern.allowances.of_seam(k) - practice.seam_keeps_mm, 0.0) for k in range(1, seams + 1)]
        out = np.where((cap < _FREE)[:, None], np.array(given), _FREE)
    reached = np.clip(wanted, -cap * seams * 0.9999, out.sum(axis=1) * 0.9999)
    programme = _programme(shares, reached, wanted_front, cap, out, pattern.front_panels)
    amounts = solve(programme).reshape(shares.shape)
    changes = tuple(
        seam_change(seam, amounts[:, 2 * seam - 2], amounts[:, 2 * seam - 1]) for seam in range(1, seams + 1)
    )
    return Placed(Alteration(seams=changes), wanted - reached)


def _wanted(pattern: Pattern, body: Body, girths_mm: Array, gap_mm: float) -> tuple[Array, Array, Array]:
    """Wanted changes of the front and back half (stations,), and each seam edge's share (stations, edges)."""
    shape = pattern.shape
    heights = np.array([level.side_mm for level in body])
    front = meant_front(pattern, body, girths_mm, gap_mm)
    was_front = shape.front_half(heights)
    was_back = shape.sewn_girth(heights) / 2 - was_front
    changes = np.column_stack([front - was_front, girths_mm / 2 - front - was_back])
    count, in_front = len(pattern.panels), pattern.front_panels
    front_shares = np.array([front_share_of_seams(in_front, level.name) for level in body])
    back_shares = np.array([back_share_of_seams(count - in_front, level.name) for level in body])
    nominal = shape.nominal
    if len(nominal) == len(heights) and np.allclose(nominal, heights):
        at_stations, linear = np.eye(len(heights)), np.eye(len(heights))
    else:
        inside = np.clip(nominal, heights[0], heights[-1])
        at_stations = calm_basis(heights, changes).at(inside)
        linear = np.array([np.interp(inside, heights, row) for row in np.eye(len(heights))]).T
    front_shares = gathered(linear @ front_shares, float(np.max(np.abs(changes[:, 0]))), side=-1)
    back_shares = gathered(linear @ back_shares, float(np.max(np.abs(changes[:, 1]))), side=0)
    changes = at_stations @ changes
    # without the edges of CF and CB, whose shares are 0; the two edges of a seam then stand side by side
    return changes[:, 0], changes[:, 1], np.hstack([front_shares[:, 1:], back_shares[:, :-1]])


def _within(pattern: Pattern) -> npt.NDArray[np.bool_]:
    nominal = pattern.shape.nominal
    return np.asarray((nominal >= min(pattern.hem.heights()) - 5) & (nominal <= max(pattern.top.heights()) + 5))


@dataclass(frozen=True)
class Programme:
    """A quadratic programme: least ½x·Gx − a·x with `sums` @ x = `wanted` and −`caps` ≤ `pairs` @ x ≤ `out`.

    x are the amounts (stations · edges,), row by row; G is `quadratic`, positive definite, a is `linear`.
    """

    quadratic: Array
    linear: Array
    sums: Array
    wanted: Array
    pairs: Array
    caps: Array
    out: Array

    def cost(self, amounts: Array) -> float:
        """What amounts cost."""
        return float(amounts @ self.quadratic @ amounts / 2 - self.linear @ amounts)


def solve(programme: Programme) -> Array:
    """The amounts of least cost, by Goldfarb and Idnani's dual method (quadprog), which also lets go of caps again.

    Raises ValueError where the caps leave no room for what is wanted.
    """
    import quadprog

    normals = np.vstack([programme.sums, programme.pairs, -programme.pairs])
    bounds = np.concatenate([programme.wanted, -programme.caps, -programme.out])
    found = quadprog.solve_qp(programme.quadratic, programme.linear, normals.T.copy(), bounds, len(programme.sums))
    return np.asarray(found[0], dtype=np.float64)


def _programme(
    shares: Array,
    wanted: Array,
    wanted_front: Array,
    cap: Array,
    out: Array,
    front_panels: int,
) -> Programme:
    """The programme of `place`; only stations within the garment have caps."""
    stations, edges = shares.shape
    weight = 1 / np.maximum(shares, 1e-7)
    quadratic = np.diag(weight.ravel())
    if stations > 2:
        second = np.diff(np.eye(stations), n=2, axis=0)
        scale = _SMOOTH * float(np.median(weight[shares > 1e-6])) if (shares > 1e-6).any() else 0.0
        quadratic = quadratic + scale * np.kron(second.T @ second, np.eye(edges))
    in_front = np.kron(np.eye(stations), (np.arange(edges) < 2 * front_panels - 1).astype(float))
    firm = 2 / _FRONT_MM**2
    capped = np.kron(np.eye(stations)[cap < _FREE], np.kron(np.eye(edges // 2), np.ones(2)))
    return Programme(
        quadratic=quadratic + firm * in_front.T @ in_front,
        linear=firm * in_front.T @ wanted_front,
        sums=np.asarray(np.kron(np.eye(stations), np.ones(edges)), dtype=np.float64),
        wanted=wanted,
        pairs=capped,
        caps=np.repeat(cap[cap < _FREE], edges // 2),
        out=out[cap < _FREE].ravel(),
    )
