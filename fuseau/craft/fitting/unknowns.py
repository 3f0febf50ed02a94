"""What is not known of a wearer, her cloths and her evenings: one vector, and what was thought of it before (model, 6).

In this order: her girths at the levels; their gives (log); how her girth runs between and beyond the levels (mm off the
spline, at nodes along the back); her flesh (log of the pressure scale, and how it stiffens); where comfort ends for her
(log); how garments sit and are laced on her (ride in mm, lean, friction); each cloth's stretch (log). Then, for every
evening, what was so that once (ride, lean, friction), and for every lacing how hard it was really pulled (log).
"""

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.practice import Practice
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.wearer.body import Body

NODE_MM = 25.0
_BEYOND_MM = 50.0  # nodes reach so far past the last levels
_JITTER_MM2 = 0.05
_MOST_STIFFENING = 1.3  # past −1.4 more squeeze would take less pull
SEAT = 3  # ride, lean, friction


@dataclass(frozen=True, eq=False)
class Unknowns:
    """Where each unknown stands in the vector, and its prior: `mean` (n,), `covariance` (n, n)."""

    prior: Body
    practice: Practice
    cloths: tuple[Cloth, ...]
    evenings: tuple[int, ...]
    lacings: tuple[int, ...]
    pull_spreads: tuple[float, ...]
    rode: frozenset[int] = frozenset()

    @classmethod
    def of(
        cls,
        prior: Body,
        practice: Practice,
        cloths: Sequence[Cloth],
        lacings: Sequence[int] = (),
        pull_spreads: Sequence[float] = (),
        rode: Iterable[int] = (),
    ) -> "Unknowns":
        """The unknowns of a wearer tried on `lacings` times, each with its evening's number and spread of its pull.

        On the evenings of `rode` the waist was seen to sit high or low: it may be that evening's alone.
        """
        known = tuple({cloth.name: cloth for cloth in cloths}.values())
        evenings = tuple(dict.fromkeys(lacings))
        return cls(
            prior=prior,
            practice=practice,
            cloths=known,
            evenings=evenings,
            lacings=tuple(lacings),
            pull_spreads=tuple(pull_spreads),
            rode=frozenset(rode),
        )

    @cached_property
    def nodes(self) -> Array:
        """Heights at the back where the girth between levels is told, mm."""
        heights = [level.back_mm for level in self.prior]
        return np.arange(heights[0] - _BEYOND_MM, heights[-1] + _BEYOND_MM + NODE_MM, NODE_MM)

    @cached_property
    def girths(self) -> slice:
        return slice(0, len(self.prior.levels))

    @cached_property
    def gives(self) -> slice:
        return slice(len(self.prior.levels), 2 * len(self.prior.levels))

    @cached_property
    def between(self) -> slice:
        return slice(self.gives.stop, self.gives.stop + len(self.nodes))

    @cached_property
    def flesh(self) -> slice:
        """Log of the pressure scale, and how the flesh stiffens."""
        return slice(self.between.stop, self.between.stop + 2)

    @cached_property
    def comfort(self) -> int:
        return self.flesh.stop

    @cached_property
    def seat(self) -> slice:
        return slice(self.comfort + 1, self.comfort + 1 + SEAT)

    def stretch(self, cloth: ClothName) -> int:
        """Where the log of a cloth's stretch stands. Raises StopIteration for a cloth that was not named."""
        return self.seat.stop + next(i for i, one in enumerate(self.cloths) if one.name == cloth)

    @cached_property
    def lasting(self) -> slice:
        """All that stays when the evening is over."""
        return slice(0, self.seat.stop + len(self.cloths))

    def once(self, evening: int) -> slice:
        """Ride, lean and friction of one evening, on top of what is always so."""
        start = self.lasting.stop + SEAT * self.evenings.index(evening)
        return slice(start, start + SEAT)

    def pull(self, lacing: int) -> int:
        """Where the log of a lacing's pull stands, by the lacing's place in their order."""
        return self.lasting.stop + SEAT * len(self.evenings) + lacing

    @property
    def count(self) -> int:
        return self.pull(len(self.lacings))

    @cached_property
    def mean(self) -> Array:
        """What is thought before any fitting."""
        array = np.zeros(self.count)
        array[self.girths] = self.prior.girths_mm
        array[self.gives] = [math.log(level.give) for level in self.prior]
        array[self.between] = np.interp(self.nodes, *_over(self.prior.between)) if self.prior.between else 0.0
        array[self.seat] = self.prior.ride_mm, self.prior.lean, self.prior.friction
        for cloth in self.cloths:
            array[self.stretch(cloth.name)] = cloth.log_stretch[0]
        return array

    @cached_property
    def covariance(self) -> Array:
        """How far each is from what was thought, and which go together."""
        practice = self.practice
        array = np.zeros((self.count, self.count))
        girths, between = self.girths, self.between
        levels = np.array([level.back_mm for level in self.prior])
        own = np.array([level.spread_mm for level in self.prior])
        field = _field(np.concatenate([levels, self.nodes]), self._measured_span(), practice)
        count = len(levels)
        at_levels = field[:count, :count]
        # what is between is told off the spline through the levels, so that a level's girth is what a tape would read
        residual = np.hstack([-self.prior.along_back.at(self.nodes), np.eye(len(self.nodes))])
        array[girths, girths] = at_levels + np.diag(own**2) + practice.tape_common_mm**2
        array[between, between] = residual @ field @ residual.T + _JITTER_MM2 * np.eye(len(self.nodes))
        array[girths, between] = field[:count] @ residual.T
        array[between, girths] = array[girths, between].T
        self._as_learned(array)
        spreads = np.zeros(self.count)
        spreads[self.gives] = practice.give_spread
        spreads[self.flesh] = practice.flesh_scale_spread, practice.stiffening_spread
        spreads[self.comfort] = practice.comfort_spread
        seat = np.array([practice.ride_spread_mm, practice.pull_lean, practice.friction_spread])
        spreads[self.seat] = seat
        for cloth in self.cloths:
            spreads[self.stretch(cloth.name)] = cloth.log_stretch[1]
        for evening in self.evenings:
            spreads[self.once(evening)] = practice.once_share * seat
            if evening in self.rode:
                spreads[self.once(evening).start] = practice.ride_told_mm
        array += np.diag(spreads**2)
        pulls = np.array([self.pull(k) for k in range(len(self.lacings))], dtype=int)
        if len(pulls):
            wide = np.array(self.pull_spreads)
            same = np.equal.outer(np.array(self.lacings), np.array(self.lacings))
            together = np.where(same, practice.pulls_together, 0.0)
            np.fill_diagonal(together, 1.0)
            array[np.ix_(pulls, pulls)] = together * np.outer(wide, wide)
        return array

    def _as_learned(self, covariance: Array) -> None:
        """Levels that fittings of earlier garments taught have the spread that they were left with, in all."""
        for i, level in enumerate(self.prior):
            if level.learned:
                share = level.spread_mm / math.sqrt(float(covariance[i, i]))
                covariance[i, :] *= share
                covariance[:, i] *= share

    @cached_property
    def precision(self) -> Array:
        return np.asarray(np.linalg.inv(self.covariance))

    def _measured_span(self) -> tuple[float, float]:
        heights = [level.back_mm for level in self.prior if level.measured]
        heights = heights or [level.back_mm for level in self.prior]
        return heights[0], heights[-1]

    def body(self, at: Array) -> Body:
        """The wearer that these unknowns describe. Girths stay positive, gives below a half."""
        girths = np.maximum(at[self.girths], 100.0)
        gives = np.clip(np.exp(at[self.gives]), 0.002, 0.45)
        comfort = math.exp(float(at[self.comfort]))
        ride, lean, friction = map(float, at[self.seat])
        scale, stiffening = float(at[self.flesh][0]), float(bounded_stiffening(at[self.flesh][1])[0])
        levels = tuple(
            level.model_copy(
                update={"girth_mm": float(girth), "give": float(give), "comfort_kpa": level.comfort_kpa * comfort}
            )
            for level, girth, give in zip(self.prior.levels, girths, gives, strict=True)
        )
        return Body(
            levels=levels,
            ride_mm=ride,
            lean=lean,
            friction=friction,
            between=tuple(zip(map(float, self.nodes), map(float, at[self.between]), strict=True)),
            flesh_scale=math.exp(scale),
            stiffening=stiffening,
            stretches={cloth.name: math.exp(float(at[self.stretch(cloth.name)])) for cloth in self.cloths},
        )


def bounded_stiffening(free: Array) -> tuple[Array, Array]:
    """How flesh stiffens, from unknowns without bounds: within ±1.3, and the derivative."""
    held = np.tanh(free / _MOST_STIFFENING)
    return _MOST_STIFFENING * held, 1 - held**2


def narrowed(covariance: Array, rows: Array, noise: Array) -> Array:
    """A covariance (n, n) once something was read: `rows` (k, n) is how it depends on the unknowns, `noise` (k, k).

    The update of a linear Gaussian model.
    """
    gain = covariance @ rows.T @ np.linalg.inv(rows @ covariance @ rows.T + noise)
    return np.asarray(covariance - gain @ rows @ covariance)


def _over(pairs: Sequence[tuple[float, float]]) -> tuple[list[float], list[float]]:
    return [z for z, _ in pairs], [mm for _, mm in pairs]


def _field(heights: Array, span: tuple[float, float], practice: Practice) -> Array:
    """Covariance (mm²) of how a body's girth runs off the spline; it grows beyond the last levels measured."""
    beyond = np.maximum(np.maximum(span[0] - heights, heights - span[1]), 0.0)
    spread = practice.between_spread_mm + practice.beyond_spread_share * beyond
    near = np.exp(-0.5 * ((heights[:, None] - heights[None, :]) / practice.between_reach_mm) ** 2)
    return np.asarray(near * np.outer(spread, spread))
