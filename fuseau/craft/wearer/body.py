"""The body as believed: one settled girth and height for every level a garment needs, with spreads (model, 2)."""

import math
from collections.abc import Iterator, Sequence
from functools import cached_property
from itertools import pairwise

import numpy as np
from pydantic import Field

from fuseau.craft.base.curves import Array, Basis, calm_basis
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.wearer.measures import (
    LEAST_APART_MM,
    SIDES,
    TORSO,
    WAYS_OUT,
    LevelName,
    Wearer,
    Zero,
    Zones,
    sign_of,
    zero_of,
)


class BodyLevel(Record):
    """What is believed of one level. Heights are signed from the zero line, up is positive."""

    name: LevelName
    front_mm: float
    side_mm: float
    back_mm: float
    girth_mm: float
    spread_mm: float
    give: float
    comfort_kpa: float
    width_to_depth: float
    front_share: float
    left_more_mm: float = 0.0
    measured: bool
    learned: bool = False


class Body(Record):
    """The wearer as now believed, levels from the lowest up, and how a garment sits and is laced on her.

    `ride_mm`: how much higher it sits than planned; `lean`: by what share the lace draws harder at the top than in the
    middle; `friction`: what share of the pull is lost on the way to the end that is farthest from the loops. `between`:
    heights at the back (rising) and by how many mm her girth there is off the spline through the levels. `flesh_scale`
    and `stiffening`: how her flesh gives beside the table's (see `compression`). `stretches`: by what share each cloth
    stretches beyond its table, as far as she taught it.
    """

    levels: tuple[BodyLevel, ...]
    ride_mm: float = 0.0
    lean: float = 0.0
    friction: float = 0.0
    between: tuple[tuple[float, float], ...] = ()
    flesh_scale: float = 1.0
    stiffening: float = 0.0
    stretches: dict[ClothName, float] = Field(default_factory=dict)

    def __iter__(self) -> Iterator[BodyLevel]:  # type: ignore[override]
        return iter(self.levels)

    def __getitem__(self, name: LevelName) -> BodyLevel:
        return next(level for level in self.levels if level.name == name)

    def __contains__(self, name: LevelName) -> bool:
        return any(level.name == name for level in self.levels)

    @property
    def zero(self) -> Zero:
        """The level that heights are taken from."""
        return zero_of(self.levels[0].name)

    @property
    def index_of_zero(self) -> int:
        """Where the zero line stands among the levels."""
        return next(i for i, level in enumerate(self.levels) if level.name == self.zero)

    @cached_property
    def along_back(self) -> Basis:
        """The spline through the levels' girths, over their heights at the back (mm)."""
        return calm_basis([level.back_mm for level in self.levels], [level.girth_mm for level in self.levels])

    def natural_at(self, back_mm: Array) -> Array:
        """Natural girth at heights along the back, mm."""
        array = self.along_back.at(back_mm) @ self.girths_mm
        if not self.between:
            return array
        heights, off = np.array(self.between).T
        return np.asarray(array + np.interp(back_mm, heights, off))

    def stretch_of(self, cloth: Cloth) -> float:
        """By what share a cloth stretches beyond its table: as learned, else as such cloths do."""
        return self.stretches.get(cloth.name, cloth.usually_more)

    def with_girths(self, girths: Array, spreads: Array) -> "Body":
        """The same body with other girths and spreads (mm), in the order of `levels`."""
        levels = tuple(
            level.model_copy(update={"girth_mm": float(girth), "spread_mm": float(spread)})
            for level, girth, spread in zip(self.levels, girths, spreads, strict=True)
        )
        return self.model_copy(update={"levels": levels})

    @property
    def girths_mm(self) -> Array:
        """Natural girths, in the order of `levels`, mm."""
        return np.array([level.girth_mm for level in self.levels])

    def as_met(self) -> "Body":
        """The body as the garment's levels meet it: girths read where it rides to."""
        if not self.ride_mm:
            return self
        at = np.array([level.back_mm for level in self.levels]) + self.ride_mm
        return self.with_girths(self.natural_at(at), np.array([one.spread_mm for one in self]))


class Taught(Record):
    """What earlier fittings taught of a level: its girth and spread (mm), and how far it gives."""

    name: LevelName
    girth_mm: float = Field(gt=100, lt=2500)
    spread_mm: float = Field(gt=0, lt=200)
    give: float = Field(gt=0, lt=0.5)


def remembered(body: Body, taught: Sequence[Taught]) -> Body:
    """The body as fittings of earlier garments taught it, where they did (model, section 6: later builds start there).

    They had started from the same tape, so what they came to takes its place.
    """
    known = {one.name: one for one in taught}
    levels = tuple(
        level.model_copy(update={**known[level.name].model_dump(exclude={"name"}), "learned": True})
        if level.name in known
        else level
        for level in body
    )
    return body.model_copy(update={"levels": levels})


_USUAL_RISE: dict[LevelName, float] = {
    "upper_neck": 70,
    "collarbone": 40,
    "high_bust": 205,
    "bust": 160,
    "underbust": 90,
    "ribs": 55,
    "high_hip": 100,
    "hip": 200,
}
# What a level that nobody measured usually has of one beyond the ends of what is known.
_USUAL_SHARE: dict[LevelName, tuple[LevelName, float]] = {
    "high_bust": ("bust", 0.96),
    "collarbone": ("neck_base", 1.3),
    "upper_neck": ("neck_base", 0.92),
}
NEEDED: tuple[LevelName, ...] = ("underbust", "waist", "hip")


def estimate(readings_mm: tuple[float, ...], unconfirmed: bool, practice: Practice) -> tuple[float, float]:
    """Mean girth and the standard deviation of that estimate, in mm (model, section 2).

    max(3, s/√n) for several readings, 7 for one, 12 for one that a client sent and nobody confirmed.
    Raises ValueError without readings.
    """
    if not readings_mm:
        raise ValueError("no readings")
    mean = math.fsum(readings_mm) / len(readings_mm)
    if unconfirmed:
        return mean, practice.tape_spread_unconfirmed_mm
    if len(readings_mm) == 1:
        return mean, practice.tape_spread_single_mm
    scatter = float(np.std(readings_mm, ddof=1))
    return mean, max(practice.tape_spread_least_mm, scatter / math.sqrt(len(readings_mm)))


def missing_measures(wearer: Wearer, needed: tuple[LevelName, ...] = NEEDED) -> list[LevelName]:
    """Levels without which no pattern can be drafted, from the top down."""
    return [name for name in needed if not wearer[name].readings_mm]


def believe(
    wearer: Wearer,
    zones: Zones,
    practice: Practice,
    levels: tuple[LevelName, ...] = TORSO,
    needed: tuple[LevelName, ...] = NEEDED,
) -> Body:
    """The body before any fitting: estimates at `levels` (from the top down), gaps filled from the neighbours.

    Raises ValueError when a needed girth is missing (see `missing_measures`).
    """
    if missing_measures(wearer, needed):
        raise ValueError("needed girths are missing")
    heights = {name: signed_heights(wearer, name) for name in levels}
    known = {
        name: estimate(wearer[name].readings_mm, wearer[name].unconfirmed, practice)
        for name in levels
        if wearer[name].readings_mm
    }
    found = []
    for name in reversed(levels):
        front, side, back = heights[name]
        girth, spread = known.get(name) or (_between(name, known, heights), practice.tape_spread_guessed_mm)
        zone = zones[name]
        found.append(
            BodyLevel(
                name=name,
                front_mm=front,
                side_mm=side,
                back_mm=back,
                girth_mm=girth,
                spread_mm=spread,
                give=zone.give(wearer.softness),
                comfort_kpa=zone.comfort_kpa,
                width_to_depth=zone.width_to_depth,
                front_share=_front_share(wearer, name, girth, zone.front_share),
                left_more_mm=wearer[name].left_more_mm or 0.0,
                measured=name in known,
            )
        )
    return Body(levels=tuple(found), friction=practice.lace_friction)


def _front_share(wearer: Wearer, name: LevelName, girth: float, usual: float) -> float:
    front, back = wearer[name].front_arc_mm, wearer[name].back_arc_mm
    if front is not None:
        share = front / (front + back) if back is not None else front / girth
    elif back is not None:
        share = 1 - back / girth
    else:
        return usual
    return min(0.65, max(0.35, share))


def signed_heights(wearer: Wearer, name: LevelName) -> tuple[float, float, float]:
    """Front, side and back height of a level; what was not measured follows from what was, or is usual."""
    sign = sign_of(name)
    if sign == 0:
        return 0.0, 0.0, 0.0
    given = [getattr(wearer[name], f"height_{side}_mm") for side in SIDES]
    known = [height for height in given if height is not None]
    usual = sum(known) / len(known) if known else _fitting_rise(wearer, name)
    front, side, back = (sign * (usual if height is None else height) for height in given)
    return front, side, back


def check_rise(wearer: Wearer, levels: tuple[LevelName, ...]) -> None:
    """Every level lies above the next one at front, side and back, those too that nobody measured.

    `levels` from the top down. Raises Unmakeable at the height that was typed, or at the one that is missing.
    """
    for upper, lower in pairwise(levels):
        for side, above, below in zip(SIDES, signed_heights(wearer, upper), signed_heights(wearer, lower), strict=True):
            if above - below > LEAST_APART_MM - 1e-6:
                continue
            field = f"height_{side}_mm"
            outer, inner = (upper, lower) if sign_of(upper) > 0 else (lower, upper)
            typed = [name for name in (outer, inner) if getattr(wearer[name], field, None) is not None]
            usual = next((name for name in (outer, inner) if name not in typed and sign_of(name)), None)
            raise Unmakeable(
                f"wearer.{typed[0] if typed else outer}.{field}",
                "levels_cross" if usual is None else "levels_cross_usual",
                side=side,
                outer=outer,
                inner=inner,
                outer_mm=abs(above if outer == upper else below),
                inner_mm=abs(below if outer == upper else above),
                usual=usual or "",
            )


def _fitting_rise(wearer: Wearer, name: LevelName) -> float:
    """The usual height of a level, moved where a measured neighbour lies elsewhere than usual."""
    way = next(way for way in WAYS_OUT if name in way)
    here = way.index(name)
    inner = next((one for one in reversed(way[:here]) if _measured_rise(wearer, one)), None)
    outer = next((one for one in way[here + 1 :] if _measured_rise(wearer, one)), None)
    usual = _USUAL_RISE[name]
    start, usual_start = (_measured_rise(wearer, inner), _USUAL_RISE[inner]) if inner else (0.0, 0.0)
    if outer is None:
        return start + (usual - usual_start if inner else usual)
    end = _measured_rise(wearer, outer)
    return start + (end - start) * (usual - usual_start) / (_USUAL_RISE[outer] - usual_start)


def _measured_rise(wearer: Wearer, name: LevelName) -> float:
    known = [getattr(wearer[name], f"height_{side}_mm") for side in SIDES]
    heights = [height for height in known if height is not None]
    return sum(heights) / len(heights) if heights else 0.0


def _between(
    name: LevelName,
    known: dict[LevelName, tuple[float, float]],
    heights: dict[LevelName, tuple[float, float, float]],
) -> float:
    if name in _USUAL_SHARE and _USUAL_SHARE[name][0] in known:
        of, share = _USUAL_SHARE[name]
        return known[of][0] * share
    at = heights[name][1]
    points = sorted((heights[other][1], girth) for other, (girth, _) in known.items())
    return float(np.interp(at, [z for z, _ in points], [girth for _, girth in points]))
