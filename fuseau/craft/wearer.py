"""The wearer: levels, readings, what we believe of each girth, and how far flesh gives (model, section 2).

Lengths are mm, tensions newtons per metre of height, pressures kPa. `c` is the share by which a girth can
give, C0 the natural girth.
"""

import math
from collections.abc import Iterator
from functools import cached_property
from typing import Annotated, Literal

import numpy as np
from pydantic import Field, model_validator
from pydantic_core import PydanticCustomError

from fuseau.craft.curves import Array, Basis, calm_basis
from fuseau.craft.findings import Finding
from fuseau.craft.lengths import Length, Unit, format_length
from fuseau.craft.practice import Practice
from fuseau.craft.record import Record

LevelName = Literal["underbust", "ribs", "waist", "high_hip", "hip"]
Softness = Literal["lean", "average", "soft"]

LEVELS: tuple[LevelName, ...] = ("underbust", "ribs", "waist", "high_hip", "hip")  # from the top down
LEVEL_LABELS: dict[LevelName, str] = {
    "underbust": "Underbust",
    "ribs": "Ribs",
    "waist": "Waist",
    "high_hip": "High hip",
    "hip": "Hip",
}


class Zone(Record):
    """How a zone gives (share of the girth, by softness) and the pressure that is close but comfortable."""

    lean: float = Field(gt=0, lt=0.5)
    average: float = Field(gt=0, lt=0.5)
    soft: float = Field(gt=0, lt=0.5)
    comfort_kpa: float = Field(gt=0, le=20)
    width_to_depth: float = Field(ge=1, le=2.5)
    front_share: float = Field(ge=0.35, le=0.65)

    def give(self, softness: Softness) -> float:
        """The share c by which a girth in this zone can give."""
        return float(getattr(self, softness))


def _zone(give: tuple[float, float, float], comfort: float, ratio: float, front: float) -> Zone:
    lean, average, soft = give
    return Zone(lean=lean, average=average, soft=soft, comfort_kpa=comfort, width_to_depth=ratio, front_share=front)


class Zones(Record):
    """Workshop starting values by level; fittings refine them."""

    underbust: Zone = _zone((0.03, 0.04, 0.06), 2.5, 1.35, 0.52)
    ribs: Zone = _zone((0.03, 0.04, 0.06), 2.5, 1.35, 0.51)
    waist: Zone = _zone((0.10, 0.13, 0.16), 4.0, 1.35, 0.50)
    high_hip: Zone = _zone((0.05, 0.06, 0.08), 3.0, 1.4, 0.49)
    hip: Zone = _zone((0.04, 0.05, 0.07), 3.0, 1.4, 0.48)

    def __getitem__(self, name: LevelName) -> Zone:
        return getattr(self, name)


Girth = Annotated[float, Length("this girth", 400, 2000)]
Rise = Annotated[float, Length("this height", 10, 400)]


class Level(Record):
    """A named height where a girth is taken. Heights are distances from the waist along the body, in mm."""

    readings_mm: tuple[Girth, ...] = Field(default=(), max_length=12)
    unconfirmed: bool = Field(default=False, description="A number sent by a client, not confirmed.")
    waist_to_front_mm: Rise | None = None
    waist_to_side_mm: Rise | None = None
    waist_to_back_mm: Rise | None = None
    front_arc_mm: Annotated[float, Length("a front arc", 150, 1200)] | None = Field(
        default=None, description="The part of the girth in front of the side seams."
    )


_ABOVE: tuple[LevelName, ...] = ("ribs", "underbust")
_BELOW: tuple[LevelName, ...] = ("high_hip", "hip")


class Wearer(Record):
    """Who wears it: girths and heights as read, and how soft she is."""

    name: str = Field(default="", max_length=80)
    softness: Softness = "average"
    new_to_lacing: bool = True
    waist_to_lap_sitting_mm: Annotated[float, Length("waist to lap", 60, 350)] | None = None
    underbust: Level = Level()
    ribs: Level = Level()
    waist: Level = Level()
    high_hip: Level = Level()
    hip: Level = Level()

    def __getitem__(self, name: LevelName) -> Level:
        return getattr(self, name)

    @model_validator(mode="after")
    def _heights_in_order(self) -> "Wearer":
        for near, far in (_ABOVE, _BELOW):
            for side in ("front", "side", "back"):
                field = f"waist_to_{side}_mm"
                inner, outer = getattr(self[near], field), getattr(self[far], field)
                if inner is not None and outer is not None and outer <= inner + 5:
                    raise PydanticCustomError(
                        "order",
                        "{reason}",
                        {
                            "reason": f"At the {side}, the {LEVEL_LABELS[far].lower()} "
                            f"({format_length(outer)} from the waist) has to lie further from the waist than "
                            f"the {LEVEL_LABELS[near].lower()} ({format_length(inner)}).",
                            "at": f"{far}.{field}",
                        },
                    )
        return self


class BodyLevel(Record):
    """What is believed of one level. Heights are signed from the waist, up is positive."""

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
    measured: bool


class Body(Record):
    """The wearer as now believed, levels from the lowest up."""

    levels: tuple[BodyLevel, ...]

    def __iter__(self) -> Iterator[BodyLevel]:  # type: ignore[override]
        return iter(self.levels)

    def __getitem__(self, name: LevelName) -> BodyLevel:
        return next(level for level in self.levels if level.name == name)

    @cached_property
    def along_back(self) -> Basis:
        """The spline through the levels' girths, over their heights at the back (mm)."""
        return calm_basis([level.back_mm for level in self.levels], [level.girth_mm for level in self.levels])

    def with_girths(self, girths: Array, spreads: Array) -> "Body":
        """The same body with other girths and spreads (mm), in the order of `levels`."""
        return Body(
            levels=tuple(
                level.model_copy(update={"girth_mm": float(girth), "spread_mm": float(spread)})
                for level, girth, spread in zip(self.levels, girths, spreads, strict=True)
            )
        )


_USUAL_RISE: dict[LevelName, float] = {"underbust": 90, "ribs": 55, "waist": 0, "high_hip": 100, "hip": 200}
_NEEDED: tuple[LevelName, ...] = ("underbust", "waist", "hip")


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


def missing_measures(wearer: Wearer) -> list[LevelName]:
    """Levels without which no pattern can be drafted, from the top down."""
    return [name for name in _NEEDED if not wearer[name].readings_mm]


def believe(wearer: Wearer, zones: Zones, practice: Practice) -> Body:
    """The body before any fitting: estimates at every level, gaps filled from the neighbours.

    Raises ValueError when a needed girth is missing (see `missing_measures`).
    """
    if missing_measures(wearer):
        raise ValueError("needed girths are missing")
    heights = {name: _signed_heights(wearer, name) for name in LEVELS}
    known = {
        name: estimate(wearer[name].readings_mm, wearer[name].unconfirmed, practice)
        for name in LEVELS
        if wearer[name].readings_mm
    }
    levels = []
    for name in reversed(LEVELS):
        front, side, back = heights[name]
        girth, spread = known.get(name) or (_between(name, known, heights), practice.tape_spread_guessed_mm)
        zone, arc = zones[name], wearer[name].front_arc_mm
        levels.append(
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
                front_share=zone.front_share if arc is None else min(0.65, max(0.35, arc / girth)),
                measured=name in known,
            )
        )
    return Body(levels=tuple(levels))


def _signed_heights(wearer: Wearer, name: LevelName) -> tuple[float, float, float]:
    """Front, side and back height of a level; what was not measured follows from what was, or is usual."""
    level, sign = wearer[name], 1 if name in _ABOVE else -1
    if name == "waist":
        return 0.0, 0.0, 0.0
    given = (level.waist_to_front_mm, level.waist_to_side_mm, level.waist_to_back_mm)
    known = [height for height in given if height is not None]
    usual = sum(known) / len(known) if known else _fitting_rise(wearer, name)
    front, side, back = (sign * (usual if height is None else height) for height in given)
    return front, side, back


def _fitting_rise(wearer: Wearer, name: LevelName) -> float:
    """The usual height of a level, moved where it would collide with a measured neighbour."""
    usual = _USUAL_RISE[name]
    near, far = _ABOVE if name in _ABOVE else _BELOW
    other = wearer[far if name == near else near]
    known = [
        height
        for height in (other.waist_to_front_mm, other.waist_to_side_mm, other.waist_to_back_mm)
        if height is not None
    ]
    if not known:
        return usual
    return min(usual, 0.6 * min(known)) if name == near else max(usual, max(known) / 0.6)


def _between(
    name: LevelName,
    known: dict[LevelName, tuple[float, float]],
    heights: dict[LevelName, tuple[float, float, float]],
) -> float:
    at = heights[name][1]
    points = sorted((heights[other][1], girth) for other, (girth, _) in known.items())
    return float(np.interp(at, [z for z, _ in points], [girth for _, girth in points]))


# --- how flesh gives -------------------------------------------------------------------------------------


def pressure_at(natural: Array, give: Array, girth: Array, scale_kpa: float) -> tuple[Array, Array]:
    """Pressure (kPa) under a hoop of `girth` mm, and its derivative by girth (kPa/mm); 0 where it is slack.

    Inverse of C = C0·(1 − c·(1 − exp(−p/p0))). Beyond 99.9 % of what the level gives it goes on straight,
    so that Newton's method never leaves the domain.
    """
    used = (natural - girth) / (natural * give)
    held = np.clip(used, 0.0, 0.999)
    pressure = -scale_kpa * np.log1p(-held) + scale_kpa * (np.maximum(used, held) - held) / (1 - held)
    by_girth = -scale_kpa / (1 - held) / (natural * give)
    return np.where(used > 0, pressure, 0.0), np.where(used > 0, by_girth, 0.0)


def tension_at(natural: Array, give: Array, girth: Array, scale_kpa: float) -> tuple[Array, Array, Array]:
    """Hoop tension T = pC/2π (N per m of height) at `girth` mm, and dT/d(girth), dT/d(natural) in N/m/mm."""
    pressure, by_girth = pressure_at(natural, give, girth, scale_kpa)
    tension = pressure * girth / (2 * math.pi)
    by_hoop = (by_girth * girth + pressure) / (2 * math.pi)
    by_natural = -by_girth * girth / natural * girth / (2 * math.pi)  # ∂u/∂C0 = −(C/C0)·∂u/∂C
    return tension, by_hoop, by_natural


def girth_under(natural: Array, give: Array, tension: Array, scale_kpa: float) -> Array:
    """Girth (mm) to which a level falls under a hoop `tension` (N/m): the fixed point of give and hoop.

    >>> girth_under(np.array([720.]), np.array([.13]), np.array([240.]), 2.0).round(1)
    array([656.1])
    """
    girth = natural * (1 - give / 2)
    for _ in range(60):  # a contraction by c·(p/p0)·exp(−p/p0) < 0.08, so some ten rounds
        pressure = 2 * math.pi * tension / girth
        following = natural * (1 - give * (1 - np.exp(-pressure / scale_kpa)))
        if np.max(np.abs(following - girth)) < 1e-10:
            return np.asarray(following)
        girth = following
    return np.asarray(girth)


def side_pressure(tension: Array, girth: Array, width_to_depth: Array) -> Array:
    """Pressure (kPa) at the sides of an ellipse with this girth: T·a/b² (model, section 2).

    The girth of the ellipse is taken as 2π·√((a²+b²)/2).
    """
    depth = girth / (2 * math.pi) / np.sqrt((width_to_depth**2 + 1) / 2)
    return tension * width_to_depth / depth


# --- what to check ---------------------------------------------------------------------------------------

_PROPORTION: dict[tuple[LevelName, LevelName], tuple[float, float]] = {
    ("underbust", "waist"): (0.95, 1.45),
    ("ribs", "waist"): (0.95, 1.4),
    ("high_hip", "waist"): (1.0, 1.55),
    ("hip", "waist"): (1.05, 1.75),
    ("hip", "underbust"): (0.95, 1.6),
    ("hip", "high_hip"): (0.98, 1.3),
}


def check_measures(wearer: Wearer, practice: Practice, unit: Unit) -> list[Finding]:
    """Readings that disagree, and levels out of human proportion: things to check, never to refuse."""
    findings = []
    means = {}
    for name in LEVELS:
        readings = wearer[name].readings_mm
        if not readings:
            continue
        means[name] = math.fsum(readings) / len(readings)
        apart = max(readings) - min(readings)
        if apart > practice.readings_disagree_mm:
            findings.append(
                Finding(
                    code="readings_disagree",
                    stage="wearer",
                    severity="caution",
                    at=f"wearer.{name}.readings_mm",
                    where=LEVEL_LABELS[name],
                    sentence=f"The readings of the {LEVEL_LABELS[name].lower()} differ by "
                    f"{format_length(apart, unit)}: measure it again.",
                    numbers={"apart_mm": apart},
                )
            )
    for (one, other), (low, high) in _PROPORTION.items():
        if one not in means or other not in means or low <= means[one] / means[other] <= high:
            continue
        least, most = low * means[other], high * means[other]
        findings.append(
            Finding(
                code="proportion",
                stage="wearer",
                severity="caution",
                at=f"wearer.{one}.readings_mm",
                where=LEVEL_LABELS[one],
                sentence=f"Check the {LEVEL_LABELS[one].lower()}: {format_length(means[one], unit)} is unusual "
                f"beside a {LEVEL_LABELS[other].lower()} of {format_length(means[other], unit)} "
                f"(usually {format_length(least, unit, bare=True)} to {format_length(most, unit)}).",
                numbers={"girth_mm": means[one], "least_mm": least, "most_mm": most},
            )
        )
    return findings
