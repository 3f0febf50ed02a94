"""How firmly a garment is planned to hold each level, and the girths to sew that follow (model, section 4).

The waist takes what was asked of it. Every other level takes the largest of three: what holds it on at all, its share
of the waist's tension up to the pressure that is planned at the most, and what balances the lacing edge, which is
borne by the end that the waist leaves lighter. So a level is hardly pressed more because the waist is asked for less,
and nothing jumps.
"""

import math
from dataclasses import dataclass, field
from functools import cached_property
from typing import NamedTuple

import numpy as np

from fuseau.craft.base.curves import Array, picking
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.target import Target, pull_of
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.compression import girth_under, tension_at, used_at
from fuseau.craft.wearer.measures import LevelName

EDGE_POINTS = 17  # where holding on is asked for along the lacing edge
_BETWEEN_SHARE = 0.8  # of what holds the levels about it on, so much is wished between and beyond them
_BEYOND_MM = 30.0
_MIDDLE_MM = 3.0  # so far from the middle of the edge, the waist pulls at one end
_STANDS_OFF_MM = 30.0
_SOFT_WAIST_MM = 100.0
_SLACK_SHARE = 0.35  # how dear it is to lie unevenly between levels, beside holding a level in more or less
_HOLLOWS_MM, _BULGES_MM = 3.0, 8.0  # so much less or more than that between two levels nobody feels
_EVENING_PASSES = 12
_LEAST_SHARE, _MOST_SHARE = 0.5, 1.6


class Held(NamedTuple):
    """A garment as it is planned to be worn, at the body's levels: round her (mm), its tension (N/m), and sewn (mm)."""

    hoop_mm: Array
    tension_n_per_m: Array
    sewn_mm: Array


@dataclass(frozen=True)
class Firmness:
    """What the plan of a garment that is drawn in follows from.

    `edge_mm`: heights of the lacing edge's ends at CB; `take_up_mm` at the body's levels; `stretch_per_n` is 1/K (m/N)
    and `stretches_more` what the cloth stretches beyond that. What is not `laced` closes edge to edge, and is held by
    nothing but its girth.
    """

    target: Target
    body: Body
    edge_mm: tuple[float, float]
    take_up_mm: Array
    stretch_per_n: float
    stretches_more: float
    practice: Practice
    laced: bool = True
    _held_in: dict[float, Array] = field(default_factory=dict, repr=False, compare=False)

    @cached_property
    def natural_mm(self) -> Array:
        """Her girths where the garment's levels meet her, (levels,) mm."""
        return self.body.natural_at(self._heights + self.body.ride_mm)

    @cached_property
    def waist(self) -> int | None:
        """Where the waist stands that is asked for something; None where none is."""
        return None if self.target.job == "none" else self.body.index_of_zero

    def asked_mm(self, pull_n_per_m: float) -> float:
        """By how much the waist is asked to be squeezed, worn at the gap that is wished (mm); below 0 it has room."""
        if self.waist is None:
            return 0.0
        natural, target = float(self.natural_mm[self.waist]), self.target
        if target.job == "closed_waist" and target.closed_waist_mm is not None:
            takes = float(self.take_up_mm[self.waist])
            return natural - (target.closed_waist_mm * self._stretch(pull_n_per_m) + target.gap_mm - takes)
        measured = self.body.levels[self.waist].girth_mm
        if target.job == "reduction" and target.reduction_mm is not None:
            return natural - measured + target.reduction_mm
        return natural - measured * (1 - target.reduction_percent / 100)

    def held(
        self,
        pull_n_per_m: float,
        spared_mm: float = 0.0,
        balance_mm: float = 0.0,
        off_curve_mm: Array | None = None,
    ) -> Held:
        """The garment for the gap that is wished, pulled so hard.

        The waist as it was asked, but for what is `spared_mm` of it, and every other level as that waist carries it.
        `balance_mm` makes the levels toward the lower end of the edge tighter, below zero those toward its upper end:
        by so much there where flesh gives as a soft waist does, and less where it gives less. `off_curve_mm`
        (EDGE_POINTS,) is how far the cloth along the edge lies outside her curve through its levels, as drafted.
        """
        held_in = np.zeros(len(self.natural_mm))
        if self.waist is not None:
            held_in[self.waist] = self.asked_mm(pull_n_per_m) - spared_mm
        for i in self._eased:
            held_in[i] = -self.target.ease_at[self.body.levels[i].name]
        at_waist = 0.0 if self.waist is None else float(self._tension_of(self.natural_mm - held_in)[self.waist])
        wished = self._wished_mm(at_waist)
        if self.laced:
            hold = wished if self.waist is None else self._hold  # where nothing is squeezed, the pull itself holds on
            planned = np.where(self._asked, held_in, np.where(self._by_hand, wished, np.maximum(wished, hold)))
            wished = self._balanced(self._evened(planned, hold, off_curve_mm), hold, balance_mm)
        hoop = self.natural_mm - np.where(self._asked, held_in, wished)
        return Held(hoop, self._tension_of(hoop), self._sewn(hoop, pull_n_per_m))

    def as_asked(self, held: Held, pull_n_per_m: float, spared_mm: float) -> Held:
        """The same garment with nothing of its waist spared.

        It gapes wider than wished by about what was spared. The other levels stay as they are, so that what they hold
        is never drafted away; but where they would stand off by more than `_STANDS_OFF_MM`, they follow.
        """
        if self.waist is None:
            return held
        hoop = held.hoop_mm - np.where(self._asked, 0.0, max(spared_mm - _STANDS_OFF_MM, 0.0))
        hoop[self.waist] = self.natural_mm[self.waist] - self.asked_mm(pull_n_per_m)
        return held._replace(sewn_mm=self._sewn(hoop, pull_n_per_m))

    def _sewn(self, hoop: Array, pull_n_per_m: float) -> Array:
        return np.asarray((hoop - self.target.gap_mm + self.take_up_mm) / self._stretch(pull_n_per_m))

    def mean_along_edge(self, tension_n_per_m: Array) -> float:
        """The mean of tensions at the levels over the lacing edge, N per m: about what the lace pulls."""
        return float(np.interp(self._edge[0], self._heights, tension_n_per_m).mean())

    def _wished_mm(self, at_waist: float) -> Array:
        """By how much each level is held in by its share, mm: kept, since it is asked for again beside each balance."""
        if at_waist not in self._held_in:
            held = girth_under(self.natural_mm, self._give, self._wished(at_waist), *self._flesh)
            self._held_in[at_waist] = self.natural_mm - held
        return self._held_in[at_waist]

    def _wished(self, at_waist: float) -> Array:
        """Each level's share of the waist's tension, or of the pull where nothing is asked of the waist, N/m."""
        practice, pull = self.practice, pull_of(self.target.pull, self.target.job, self.practice)
        if self.waist is None:
            shared = self._shares * pull
        else:
            harder = min(max(pull / practice.planned_pull_n_per_m, _LEAST_SHARE), _MOST_SHARE) if self.laced else 1.0
            shared = self._shares * np.where(self._by_hand, 1.0, harder) * at_waist
        return np.maximum(np.minimum(shared, self._most), practice.least_tension_n_per_m)

    def _evened(self, held_mm: Array, hold_mm: Array, off_curve_mm: Array | None) -> Array:
        """By how much levels are held in, so that it lies evenly between and beyond them too, mm.

        `held_mm` is what is planned or asked, of which `hold_mm` would do. Between levels her girth and the cloth are
        curves of their own: where they come apart, or press beyond what the levels about them are held in by, those
        that were not asked are held in a little more or less: least squares of that, and of what is amiss still.
        """
        z, along, beside = self._edge
        free = np.flatnonzero(~np.logical_or(self._asked, self._by_hand))
        least = np.interp(z, self._heights, np.where(self._asked, np.minimum(held_mm, hold_mm), hold_mm))
        least = np.minimum(_BETWEEN_SHARE * least, least) - _HOLLOWS_MM  # where room was asked, nothing holds on
        most = np.interp(z, self._heights, held_mm) + _BULGES_MM
        here = along @ held_mm + beside - (0.0 if off_curve_mm is None else off_curve_mm)
        array = held_mm.copy()
        if len(free):
            array[free] += _least_moved(picking(self._heights, z)[:, free], least - here, most - here)
        return array

    def _balanced(self, held_mm: Array, hold_mm: Array, balance_mm: float) -> Array:
        """What levels are held in by so that the edges settle parallel, mm: more toward one end, less toward another.

        It is borne by the end that the waist's pull leaves lighter, which then never has less of it when the waist is
        asked for more; by both where the waist pulls in the middle; and by a level beyond the end of the edge, which
        only shapes the cloth on the way to it. None gives up what holds it on, or the end of the edge.
        """
        share = self._lighter_above
        bears = np.where(self._away < 0, share, 1 - share)
        added = balance_mm * self._softness * self._away * (bears + (1 - bears) * self._beyond)
        added = np.where(self._by_hand, 0.0, added)
        least = _BETWEEN_SHARE * hold_mm
        for level, inner, way in self._ends:
            least[level] = (least[level] - (1 - way) * held_mm[inner]) / way
        return np.where(added < 0, np.maximum(held_mm + added, np.minimum(held_mm, least)), held_mm + added)

    @cached_property
    def _ends(self) -> list[tuple[int, int, float]]:
        """The first level beyond each end of the edge, the last within, and how far the end lies on the way to it."""
        low, high = self.edge_mm
        at, found = self._heights, []
        for end, beyond in ((low, np.flatnonzero(at < low)[-1:]), (high, np.flatnonzero(at > high)[:1])):
            for level in map(int, beyond):
                inner = level + 1 if end == low else level - 1
                if 0 <= inner < len(at):
                    found.append((level, inner, max(float((end - at[inner]) / (at[level] - at[inner])), 0.05)))
        return found

    @cached_property
    def _lighter_above(self) -> float:
        """How far it is the upper end that the waist's pull leaves lighter: 1, or 0 where it is the lower."""
        if self.waist is None or self._eased:
            return 0.5
        z = np.linspace(*self.edge_mm, 121)
        pulls = np.interp(z, self._heights, np.eye(len(self._heights))[self.waist])
        above = float(pulls @ (z - z.mean()) / max(float(pulls.sum()), 1e-9))
        return 1 / (1 + math.exp(above / _MIDDLE_MM))

    @property
    def _flesh(self) -> tuple[float, float]:
        return self.practice.pressure_scale_kpa * self.body.flesh_scale, self.body.stiffening

    def _tension_of(self, hoop: Array) -> Array:
        return tension_at(self.natural_mm, self._give, hoop, *self._flesh)[0]

    def _stretch(self, pull_n_per_m: float) -> float:
        return 1 + pull_n_per_m * self.stretch_per_n + self.stretches_more

    @cached_property
    def _heights(self) -> Array:
        return np.array([level.back_mm for level in self.body])

    @cached_property
    def _give(self) -> Array:
        give = [level.give for level in self.body]
        return np.interp(self._heights + self.body.ride_mm, self._heights, give)

    @cached_property
    def _eased(self) -> list[int]:
        return [i for i, level in enumerate(self.body) if level.name in self.target.ease_at]

    @cached_property
    def _asked(self) -> Array:
        """Which levels stand as they were asked, (levels,) bool."""
        asked = np.zeros(len(self.natural_mm), dtype=bool)
        asked[[*self._eased, *([] if self.waist is None else [self.waist])]] = True
        return asked

    @cached_property
    def _by_hand(self) -> Array:
        """The levels whose share she pulled herself, (levels,) bool."""
        return np.array([level.name in self.target.shares for level in self.body])

    @cached_property
    def _shares(self) -> Array:
        """Each level's share of the waist's tension; where nothing is asked of the waist, of the pull."""
        practice = self.practice
        usual: dict[LevelName, float] = {
            "high_bust": practice.share_high_bust,
            "bust": practice.share_bust,
            "underbust": practice.share_underbust,
            "ribs": practice.share_ribs,
            "high_hip": practice.share_high_hip,
            "hip": practice.share_hip,
        }
        if self.waist is None:
            usual = {}
        return np.array([self.target.shares.get(level.name, usual.get(level.name, 1.0)) for level in self.body])

    @cached_property
    def _most(self) -> Array:
        """The tension that is planned at the most, N/m: a share of what is comfortable."""
        limit = self.practice.plan_comfort_share * np.array([level.comfort_kpa for level in self.body])
        return limit * self.natural_mm * (1 - self._give * used_at(limit, *self._flesh)) / (2 * np.pi)

    @cached_property
    def _hold(self) -> Array:
        """By how much the body is to be held in at each level, mm; less where flesh gives little and presses soon."""
        return np.minimum(self.practice.plan_hold_mm, self.practice.plan_hold_share * self.natural_mm * self._give)

    @cached_property
    def _away(self) -> Array:
        """How far below the middle of the lacing edge each level lies: 1 at its lower end, −1 at its upper."""
        low, high = self.edge_mm
        return np.clip((low + high - 2 * self._heights) / (high - low), -1.5, 1.5)

    @cached_property
    def _beyond(self) -> Array:
        """How far each level lies beyond the edge's ends, as a share of what counts as wholly beyond."""
        low, high = self.edge_mm
        return np.clip(np.maximum(low - self._heights, self._heights - high) / _BEYOND_MM, 0.0, 1.0)

    @cached_property
    def _softness(self) -> Array:
        """What each level gives, beside what a soft waist does."""
        return self.natural_mm * self._give / _SOFT_WAIST_MM

    @cached_property
    def _edge(self) -> tuple[Array, Array, Array]:
        """Heights of the lacing edge, the map to them from levels, and her girth there off that map of her levels."""
        z = np.linspace(*self.edge_mm, EDGE_POINTS)
        along = self.body.along_back.at(z)
        return z, along, self.body.natural_at(z + self.body.ride_mm) - along @ self.natural_mm


def _least_moved(along: Array, least: Array, most: Array) -> Array:
    """How far to move each level (levels,), so that `along` (points, levels) carries it between `least` and `most`.

    Least squares of the moves and of what lies outside still, by Newton's method: it is convex, and its curvature only
    changes where a point passes a bound.
    """
    moved = np.zeros(along.shape[1])
    outside: Array | None = None
    for _ in range(_EVENING_PASSES):
        carried = along @ moved
        now = np.where(carried < least, 1, np.where(carried > most, -1, 0))
        if outside is not None and (now == outside).all():
            break
        outside = now
        rows = along[now != 0] / _SLACK_SHARE
        bound = np.where(now > 0, least, most)[now != 0] / _SLACK_SHARE
        moved = np.linalg.solve(np.eye(len(moved)) + rows.T @ rows, rows.T @ bound)
    return np.asarray(moved)
