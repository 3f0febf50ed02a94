"""The girths to sew, corrected until the garment settles parallel and holds on everywhere (model, section 4)."""

import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.equilibrium import Settled, settle
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fit.target import Aim
from fuseau.craft.materials.stack import Stack
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.compression import pressure_at
from fuseau.craft.wearer.measures import LevelName

_DRAFTS, _PASSES = 4, 10
_POINTS = 13  # where holding on and pressing are asked for
_STEP_MM, _DRAWN_MM = 25.0, 0.1
_ENOUGH = 0.05  # of the summed squares: nobody would see the difference
_GAP_MM, _BOW_MM, _WISH_MM = 0.1, 6.0, 12.0  # how closely each is kept, one spread
_WAIST_MM = 1.5
_SHORT_MM = 3.0  # a gap further from its wish than this is not reached
_ABOUT_MM = 60.0
_ASKED_MORE = 1.1  # stiff edges press a waist more in one place than its girth asks for
_GAPS_TRIED, _GAP_NEAR_MM = 6, 1.0
_TRIED_MOST = 4.0  # times what one person pulls
_HOLD_MM, _PRESS_KPA = 2.0, 0.1


def settle_parallel(
    aimed: Aim,
    gap_mm: float,
    body: Body,
    drafted: Callable[[tuple[float, ...]], Pattern],
    stack: Stack,
    edge_n_m2: float,
    practice: Practice,
    *,
    asked_waist: bool = False,
    ease_at: Mapping[LevelName, float] | None = None,
    most_n_per_m: float = math.inf,
    chosen_n_per_m: float | None = None,
    padding: tuple[tuple[float, float], ...] = (),
) -> tuple[Aim, Pattern]:
    """Correct the aim until the drafted garment settles at the wished gap, parallel, and nowhere lifts off.

    Sewn girths and pull are found together by Gauss and Newton: the mean gap and its tilt are met to 0.1 mm, the
    girths stay near what the tensions came to, the waist where it was asked (`asked_waist`) and every level whose ease
    was (`ease_at`, mm); elsewhere the body is held in by
    `plan_hold_mm` along the whole edge, and pressed no more than `plan_comfort_share` of what is comfortable, but at a
    waist that is asked for more. What is left is bow, which only stiffer edges can take out. Where that would take more
    than `most_n_per_m`, the garment is settled at `chosen_n_per_m`, at whatever gap that comes to (model, section 4:
    wishes are sewn as they were said). `padding` is worn under it (see `Lacing`).
    Returns the aim and its pattern. Raises Unsettled.
    """
    solver = _Solver(aimed, gap_mm, body, drafted, stack, edge_n_m2, practice, asked_waist, ease_at or {}, padding)
    waist = body.index_of_zero
    try:
        sewn, pull, pattern, mean = solver.solve(aimed.pull_n_per_m, most_n_per_m)
    except Unmakeable:  # girths that no pull can be met by may not go into panels; those at the pull chosen do
        if chosen_n_per_m is None:
            raise
        mean = math.inf
    found: dict[str, object] = {}
    if chosen_n_per_m is not None and abs(mean - gap_mm) > _SHORT_MM:
        sewn, pull, pattern = solver.at_pull(chosen_n_per_m)
        found = {"needed_n_per_m": solver.needed(pattern, _TRIED_MOST * most_n_per_m), "reaches": False}
    found |= {"sewn_mm": tuple(map(float, sewn)), "pull_n_per_m": pull, "closed_waist_mm": float(sewn[waist])}
    return aimed.model_copy(update=found), pattern


@dataclass(frozen=True)
class _Solver:
    """What `settle_parallel` seeks in, with its pull free or fixed."""

    aimed: Aim
    gap_mm: float
    body: Body
    drafted: Callable[[tuple[float, ...]], Pattern]
    stack: Stack
    edge_n_m2: float
    practice: Practice
    asked_waist: bool
    ease_at: Mapping[LevelName, float]
    padding: tuple[tuple[float, float], ...] = ()

    @cached_property
    def asked(self) -> list[int]:
        """The levels whose girths stand as they were asked."""
        waist = [self.body.index_of_zero] if self.asked_waist else []
        return waist + [i for i, level in enumerate(self.body) if level.name in self.ease_at]

    def at_pull(self, pull: float) -> tuple[Array, float, Pattern]:
        """Sewn girths and pattern of a garment laced at this pull, whatever gap it comes to; the waist as it was asked.

        The other girths are what their tensions come to at that gap, not at the wish, or they would stand off.
        """
        stand = self.asked or [self.body.index_of_zero]
        gap = self.gap_mm
        for _ in range(_GAPS_TRIED):
            girths = np.array(self.aimed.sewn_mm) - (gap - self.gap_mm)
            girths[stand] = np.array(self.aimed.sewn_mm)[stand]
            shifted = replace(self, aimed=self.aimed.model_copy(update={"sewn_mm": tuple(map(float, girths))}))
            sewn, _, pattern, mean = shifted.solve(pull, None)
            if abs(mean - gap) < _GAP_NEAR_MM:
                break
            gap = mean
        return sewn, pull, pattern

    def solve(self, pull: float, most: float | None) -> tuple[Array, float, Pattern, float]:
        """Sewn girths, pull, pattern and the mean gap: with the pull free up to `most`, or fixed where that is None."""
        body, practice, stack = self.body, self.practice, self.stack
        wished = np.array(self.aimed.sewn_mm)
        sewn = wished.copy()
        pattern = self.drafted(tuple(sewn))
        first = Lacing(pattern, stack, self.edge_n_m2, pull, practice, padding=self.padding)
        on = first.on(body)  # top line and hem stand, so the body along the lacing edge does too
        uneven = np.asarray(on.pull_n_per_m) / pull * np.ones(len(first.z))
        # near enough to how the pattern follows its levels: it is drafted anew after
        along = body.along_back.at(first.z)
        keeps = np.full(len(sewn), _WISH_MM)
        keeps[[body.index_of_zero, *self.asked]] = _WAIST_MM
        wanted = _Wanted(
            first,
            body.stretch_of(stack.cloth),
            uneven,
            self.gap_mm,
            self._pressed(first),
            self._held(first),
            most is None,
        )
        start: Array | None = None

        def settled_with(girths: Array, pulled: float) -> Settled:
            worn = girths * (1 + pulled * stack.stretch_per_n + wanted.more)
            return settle(replace(on, sewn_mm=worn, pull_n_per_m=pulled * uneven), overlap=True, start=start)

        chosen: tuple[float, Array, float, Pattern] = (math.inf, sewn, pull, pattern)
        for k in range(_DRAFTS + 1):
            flat = first.of(pattern).flat
            drawn, best, step = sewn, (math.inf, sewn, pull), np.zeros(len(sewn) + 1)
            for turn in range(_PASSES):
                here = flat + along @ (sewn - drawn)
                settled = settled_with(here, pull)
                start = settled.gap_mm
                off, by = wanted.off(settled, here, along, pull)
                off = np.concatenate([off, (sewn - wished) / keeps])
                cost = float(off @ off)
                # of a pattern as it is drafted, whose curves may jump from one draft to the next
                if turn == 0 and cost < chosen[0]:
                    chosen = cost, sewn, pull, pattern
                if turn == 0 and k == _DRAFTS:
                    break
                if cost < best[0]:
                    enough = cost > best[0] - _ENOUGH
                    best = cost, sewn, pull
                    if enough:
                        break
                    by = np.vstack([by, np.hstack([np.diag(1 / keeps), np.zeros((len(sewn), 1))])])
                    if most is None or pull >= most:
                        by[:, -1] = 0.0
                    by[:, self.asked] = 0.0  # they stand
                    step = np.asarray(-np.linalg.lstsq(by, off, rcond=None)[0])
                    step /= max(float(np.max(np.abs(step[:-1]))) / _STEP_MM, abs(float(step[-1])) / (0.3 * pull), 1.0)
                else:  # too far: somewhere it began to lift off or to press
                    step = np.asarray(step / 3)
                sewn = best[1] + step[:-1]
                if most is not None:
                    pull = min(max(practice.least_tension_n_per_m, best[2] + float(step[-1])), most)
            if k == _DRAFTS:
                break
            _, sewn, pull = best
            if k and float(np.max(np.abs(sewn - drawn))) < _DRAWN_MM:
                break
            pattern = _as_tight(self.drafted(tuple(sewn)), pattern)
        _, sewn, pull, pattern = chosen
        flat = first.of(pattern).flat

        def mean_gap(pulled: float) -> float:
            return float(settled_with(flat, pulled).gap_mm.mean())

        if most is not None:
            pull = self._rest_by_pull(mean_gap, pull, most)
        return sewn, pull, pattern, mean_gap(pull)

    def _rest_by_pull(self, mean_gap: Callable[[float], float], pull: float, most: float) -> float:
        """The pull that takes what is left of the mean gap, by Newton: N/m, no more than `most`."""
        for _ in range(4):
            mean = mean_gap(pull)
            if abs(mean - self.gap_mm) < _GAP_MM:
                break
            way = min((mean_gap(pull * 1.01) - mean) / (0.01 * pull), -1e-3)
            pull = min(max(self.practice.least_tension_n_per_m, pull + (self.gap_mm - mean) / way), most)
        return pull

    def _pressed(self, lacing: Lacing) -> Array:
        """The pressure that is planned at the most, along the lacing edge, kPa: more where a squeeze is asked for."""
        body, share = self.body, self.practice.plan_comfort_share
        limit = share * np.interp(lacing.z, [one.back_mm for one in body], [one.comfort_kpa for one in body])
        scale = self.practice.pressure_scale_kpa * body.flesh_scale
        squeezed = {i: -self.ease_at.get(body.levels[i].name, 0.0) for i in self.asked}
        if self.asked_waist:
            squeezed[body.index_of_zero] = self.aimed.reduction_mm
        for i, by_mm in squeezed.items():
            level = body.levels[i]
            natural, give = np.array([level.girth_mm]), np.array([level.give])
            asked, _ = pressure_at(natural, give, natural - max(by_mm, 0.0), scale, body.stiffening)
            limit = np.maximum(limit, _near(lacing.z, level.back_mm) * float(asked[0]) * _ASKED_MORE)
        return np.asarray(limit)

    def _held(self, lacing: Lacing) -> Array:
        """By how much the body is to be held in along the lacing edge, mm.

        Less where flesh gives little, since there a girth that is a little off presses soon (no share of what it gives
        is as far from standing off as from pressing), and about a level whose ease was asked.
        """
        practice, on = self.practice, lacing.on(self.body)
        held = np.minimum(practice.plan_hold_mm, practice.plan_hold_share * on.natural_mm * on.give)
        for level in self.body:
            if level.name in self.ease_at:
                near = _near(lacing.z, level.back_mm)
                held = np.minimum(held, (1 - near) * self.practice.plan_hold_mm - near * self.ease_at[level.name])
        return held

    def needed(self, pattern: Pattern, most: float) -> float | None:
        """The pull, N/m, that closes a pattern's mean gap to the wish; None where none up to `most` does."""
        low, high = self.practice.least_tension_n_per_m, most

        def mean(pull: float) -> float:
            lacing = Lacing(pattern, self.stack, self.edge_n_m2, pull, self.practice, padding=self.padding)
            return float(settle(lacing.on(self.body)).gap_mm.mean())

        if mean(high) > self.gap_mm + 0.5:
            return None
        for _ in range(14):
            middle = math.sqrt(low * high)
            low, high = (middle, high) if mean(middle) > self.gap_mm else (low, middle)
        return high


def _near(z: Array, level_mm: float) -> Array:
    """How near heights are to a level that was asked for: 1 there, fading."""
    return np.asarray(np.exp(-np.square((z - level_mm) / _ABOUT_MM)))


def _as_tight(pattern: Pattern, before: Pattern) -> Pattern:
    """A pattern whose curves are at least as tight as those of the draft before, or the two could take turns."""
    if len(pattern.strain) != len(before.strain):
        return pattern
    strain = tuple(map(max, pattern.strain, before.strain))
    return pattern if strain == pattern.strain else pattern.model_copy(update={"strain": strain})


@dataclass(frozen=True)
class _Wanted:
    """What a garment that settles well is measured by."""

    lacing: Lacing
    more: float
    uneven: Array
    gap_mm: float
    pressed_kpa: Array
    held_mm: Array
    pulled: bool  # the pull stands, so the gap comes out as it does

    @cached_property
    def line(self) -> Array:
        """(2, points): from a gap to its mean and half its tilt."""
        at = np.linspace(-1, 1, len(self.lacing.z))
        return np.linalg.pinv(np.vstack([np.ones(len(at)), at]).T)

    def off(self, settled: Settled, flat: Array, along: Array, pull: float) -> tuple[Array, Array]:
        """What a settled garment is off by, in spreads, and how that changes with sewn girths and pull."""
        hold, z = settled.hold, settled.z
        stretch = self.lacing.stack.stretch_per_n
        _, by_hoop, _ = hold.tension_at(settled.hoop_mm)
        sewn_by = np.hstack([along * (1 + pull * stretch + self.more), (flat * stretch)[:, None]])
        pull_by = np.zeros_like(sewn_by)
        pull_by[:, -1] = self.uneven
        gap_by = settled.gap_by_force(by_hoop[:, None] * sewn_by - pull_by)
        hoop_by = gap_by + sewn_by
        pressure = settled.pressure_kpa
        tension_by = by_hoop[:, None] * hoop_by
        pressure_by = (2 * math.pi * tension_by - pressure[:, None] * hoop_by) / settled.hoop_mm[:, None]
        gap_mm, line = self.gap_mm, self.line
        if self.pulled:  # the girths stay what the tensions came to, and only the tilt is taken out
            return (line @ settled.gap_mm)[1:] / _GAP_MM, (line @ gap_by)[1:] / _GAP_MM
        bow_at = np.linspace(0, len(z) - 1, 5).astype(int)
        off = [(line @ (settled.gap_mm - gap_mm)) / _GAP_MM, (settled.gap_mm[bow_at] - gap_mm) / _BOW_MM]
        by = [line @ gap_by / _GAP_MM, gap_by[bow_at] / _BOW_MM]

        some = np.linspace(0, len(z) - 1, _POINTS).astype(int)
        lifting = (settled.hoop_mm - hold.natural_mm)[some] + self.held_mm[some]
        pressing = (pressure - self.pressed_kpa)[some]
        for amount, change, spread in (
            (lifting, hoop_by[some], _HOLD_MM),
            (pressing, pressure_by[some], _PRESS_KPA),
        ):
            too_much = amount > 0
            off.append(np.where(too_much, amount, 0.0) / spread)
            by.append(np.where(too_much[:, None], change, 0.0) / spread)
        return np.concatenate(off), np.vstack(by)
