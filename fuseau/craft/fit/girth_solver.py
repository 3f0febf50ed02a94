"""The girths to sew, corrected until the garment settles parallel and holds on everywhere (model, section 4)."""

import math
from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.equilibrium import Settled, settle
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fit.target import Aim
from fuseau.craft.materials.stack import Stack
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.compression import tension_at

_DRAFTS, _PASSES = 4, 10
_POINTS = 13  # where holding on and pressing are asked for
_STEP_MM, _DRAWN_MM = 25.0, 0.1
_ENOUGH = 0.05  # of the summed squares: nobody would see the difference
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
    along = body.along_back.at(first.z)  # near enough to how the pattern follows its levels: it is drafted anew after
    waist = body.index_of_zero
    keeps = np.full(len(sewn), _WISH_MM)
    keeps[waist] = waist_to_mm
    wanted = _Wanted(
        first, uneven, gap_mm, np.interp(first.z, [one.back_mm for one in body], [one.comfort_kpa for one in body])
    )
    start: Array | None = None
    for _ in range(_DRAFTS):
        flat = pattern.shape.lacing_edge[1]
        drawn, best, step = sewn, (math.inf, sewn, pull), np.zeros(len(sewn) + 1)
        for _ in range(_PASSES):
            here = flat + along @ (sewn - drawn)
            worn = here * (1 + pull * stack.stretch_per_n)
            settled = settle(first.hold(on.natural_mm, on.give, worn, pull * uneven), overlap=True, start=start)
            start = settled.gap_mm
            off, by = wanted.off(settled, here, along, pull)
            off = np.concatenate([off, (sewn - wished) / keeps])
            cost = float(off @ off)
            if cost < best[0]:
                enough = cost > best[0] - _ENOUGH
                best = cost, sewn, pull
                if enough:
                    break
                by = np.vstack([by, np.hstack([np.diag(1 / keeps), np.zeros((len(sewn), 1))])])
                step = np.asarray(-np.linalg.lstsq(by, off, rcond=None)[0])
                step /= max(float(np.max(np.abs(step[:-1]))) / _STEP_MM, abs(float(step[-1])) / (0.3 * pull), 1.0)
            else:  # too far: somewhere it began to lift off or to press
                step = np.asarray(step / 3)
            sewn = best[1] + step[:-1]
            pull = max(practice.least_tension_n_per_m, best[2] + float(step[-1]))
        _, sewn, pull = best
        pattern = drafted(tuple(sewn))
        if float(np.max(np.abs(pattern.shape.lacing_edge[1] - flat - along @ (sewn - drawn)))) < _DRAWN_MM:
            break
    found = {"sewn_mm": tuple(map(float, sewn)), "pull_n_per_m": pull, "closed_waist_mm": float(sewn[waist])}
    return aimed.model_copy(update=found), pattern


@dataclass(frozen=True)
class _Wanted:
    """What a garment that settles well is measured by."""

    lacing: Lacing
    uneven: Array
    gap_mm: float
    comfort_kpa: Array

    @cached_property
    def line(self) -> Array:
        """(2, points): from a gap to its mean and half its tilt."""
        at = np.linspace(-1, 1, len(self.lacing.z))
        return np.linalg.pinv(np.vstack([np.ones(len(at)), at]).T)

    def off(self, settled: Settled, flat: Array, along: Array, pull: float) -> tuple[Array, Array]:
        """What a settled garment is off by, in spreads, and how that changes with sewn girths and pull."""
        hold, z, practice = settled.hold, settled.z, self.lacing.practice
        stretch = self.lacing.stack.stretch_per_n
        _, by_hoop, _ = tension_at(hold.natural_mm, hold.give, settled.hoop_mm, hold.pressure_scale_kpa)
        sewn_by = np.hstack([along * (1 + pull * stretch), (flat * stretch)[:, None]])
        pull_by = np.zeros_like(sewn_by)
        pull_by[:, -1] = self.uneven
        gap_by = settled.gap_by_force(by_hoop[:, None] * sewn_by - pull_by)
        hoop_by = gap_by + sewn_by
        pressure = settled.pressure_kpa
        tension_by = by_hoop[:, None] * hoop_by
        pressure_by = (2 * math.pi * tension_by - pressure[:, None] * hoop_by) / settled.hoop_mm[:, None]
        gap_mm, comfort = self.gap_mm, self.comfort_kpa

        line = self.line
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
