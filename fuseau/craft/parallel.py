"""The girths to sew, corrected until the garment settles parallel and holds on everywhere (model, section 4)."""

import math
from collections.abc import Callable

import numpy as np

from fuseau.craft.body import Body
from fuseau.craft.curves import Array
from fuseau.craft.fit import Lacing
from fuseau.craft.flesh import tension_at
from fuseau.craft.layers import Stack
from fuseau.craft.pattern import Pattern
from fuseau.craft.practice import Practice
from fuseau.craft.settling import Settled, settle
from fuseau.craft.target import Aim

_PASSES = 10
_POINTS = 13  # where holding on and pressing are asked for
_STEP_MM = 25.0
_GAP_MM, _BOW_MM, _WISH_MM = 0.1, 6.0, 12.0  # how closely each is kept, one spread
_HOLD_MM, _PRESS_KPA = 2.0, 0.1


def settle_parallel(
    aimed: Aim,
    gap_mm: float,
    body: Body,
    drafted: Callable[[tuple[float, ...]], Pattern],
    stack: Stack,
    edge_n_m2: float,
    practice: Practice,
    waist_to_mm: float = 1.5,
) -> tuple[Aim, Pattern]:
    """Correct the aim until the drafted garment settles at the wished gap, parallel, and nowhere lifts off.

    Sewn girths and pull are found together by Gauss and Newton: the mean gap and its tilt are met to 0.1 mm, the
    waist stays within about `waist_to_mm` of its wish, the other girths near what the tensions came to; the body is
    held in by `plan_hold_mm` along the whole edge, and pressed no more than `plan_comfort_share` of what is
    comfortable. What is left is bow, which only stiffer edges can take out. Returns the aim and its pattern.
    Raises Unsettled.
    """
    wished = np.array(aimed.sewn_mm)
    sewn, pull = wished.copy(), aimed.pull_n_per_m
    pattern = drafted(tuple(sewn))
    first = Lacing(pattern, stack, edge_n_m2, pull, practice)
    on = first.on(body)  # top line and hem stand, so the body along the lacing edge does too
    uneven = np.asarray(on.pull_n_per_m) / pull * np.ones(len(first.z))
    along = body.along_back.at(first.z)  # near enough to how the pattern follows its levels: it is drafted each time
    waist = body.index_of_zero
    comfort = np.interp(first.z, [level.back_mm for level in body], [level.comfort_kpa for level in body])
    start: Array | None = None
    best: tuple[float, Array, float, Pattern] | None = None
    for _ in range(_PASSES):
        lacing = Lacing(pattern, stack, edge_n_m2, pull, practice)
        settled = settle(lacing.hold(on.natural_mm, on.give, pull=pull * uneven), overlap=True, start=start)
        start = settled.gap_mm
        off, by = _wanting(settled, lacing, along, uneven, gap_mm, comfort, practice)
        keeps = np.full(len(sewn), _WISH_MM)
        keeps[waist] = waist_to_mm
        off = np.concatenate([off, (sewn - wished) / keeps])
        by = np.vstack([by, np.hstack([np.diag(1 / keeps), np.zeros((len(sewn), 1))])])
        cost = float(off @ off)
        if best is not None and cost > best[0] - 1e-3:
            if cost < best[0]:
                best = cost, sewn, pull, pattern
            break
        best = cost, sewn, pull, pattern
        step = -np.linalg.lstsq(by, off, rcond=None)[0]
        step *= min(1.0, _STEP_MM / float(np.max(np.abs(step[:-1]), initial=1e-9)), 0.3 * pull / abs(step[-1] + 1e-9))
        sewn = sewn + step[:-1]
        pull = max(practice.least_tension_n_per_m, pull + float(step[-1]))
        pattern = drafted(tuple(sewn))
    assert best is not None
    _, sewn, pull, pattern = best
    found = {"sewn_mm": tuple(map(float, sewn)), "pull_n_per_m": pull, "closed_waist_mm": float(sewn[waist])}
    return aimed.model_copy(update=found), pattern


def _wanting(
    settled: Settled,
    lacing: Lacing,
    along: Array,
    uneven: Array,
    gap_mm: float,
    comfort: Array,
    practice: Practice,
) -> tuple[Array, Array]:
    """What a settled garment is off by, in spreads, and how that changes with sewn girths and pull."""
    hold, z = settled.hold, settled.z
    _, by_hoop, _ = tension_at(hold.natural_mm, hold.give, settled.hoop_mm, hold.pressure_scale_kpa)
    flat = lacing.pattern.shape.lacing_edge[1]
    sewn_by = np.hstack([along * lacing.stretch, (flat * lacing.stack.stretch_per_n)[:, None]])
    pull_by = np.zeros_like(sewn_by)
    pull_by[:, -1] = uneven
    gap_by = settled.gap_by_force(by_hoop[:, None] * sewn_by - pull_by)
    hoop_by = gap_by + sewn_by
    pressure = settled.pressure_kpa
    tension_by = by_hoop[:, None] * hoop_by
    pressure_by = 2 * math.pi * tension_by / settled.hoop_mm[:, None] - (pressure / settled.hoop_mm)[:, None] * hoop_by

    at = np.linspace(-1, 1, len(z))
    line = np.linalg.pinv(np.vstack([np.ones(len(z)), at]).T)  # mean and half the tilt
    bow_at = np.linspace(0, len(z) - 1, 5).astype(int)
    off = [(line @ (settled.gap_mm - gap_mm)) / _GAP_MM, (settled.gap_mm[bow_at] - gap_mm) / _BOW_MM]
    by = [line @ gap_by / _GAP_MM, gap_by[bow_at] / _BOW_MM]

    some = np.linspace(0, len(z) - 1, _POINTS).astype(int)
    lifting = (settled.hoop_mm - hold.natural_mm)[some] + practice.plan_hold_mm
    pressing = (pressure - practice.plan_comfort_share * comfort)[some]
    for amount, change, spread in (
        (lifting, hoop_by[some], _HOLD_MM),
        (pressing, pressure_by[some], _PRESS_KPA),
    ):
        too_much = amount > 0
        off.append(np.where(too_much, amount, 0.0) / spread)
        by.append(np.where(too_much[:, None], change, 0.0) / spread)
    return np.concatenate(off), np.vstack(by)
