"""How a garment sits on the wearer: gap and its shape, pressure, stand-off, swing, what it holds (model, section 3)."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import cached_property, lru_cache
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.findings import Finding, Stage, finding
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.fit.equilibrium import Hold, Holds, Settled, settle, tie
from fuseau.craft.fit.shape_holds import shape_holds
from fuseau.craft.materials.stack import Stack, take_up
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.compression import side_pressure
from fuseau.craft.wearer.measures import LEVEL_LABELS, NECK, LevelName

ShapeWord = Literal[
    "parallel", "wide at top", "wide at bottom", "wide at waist", "narrow at waist", "closed", "overlapping"
]
Feel = Literal["stands off", "light", "close", "firm", "too firm"]


# Up to so much room (mm of girth) a collar digs, touches, takes two fingers, hangs loose.
ROOM_FEELS: tuple[tuple[float, Feel], ...] = ((2.0, "too firm"), (10.0, "firm"), (32.0, "close"), (45.0, "light"))


class LevelFit(Record):
    """The fit at one level. What the lacing edge does not reach is None; padding takes `padded_mm` of the girth.

    `closed_mm` is what is sewn there, and None where no part of the garment reaches the level.
    """

    name: LevelName
    label: str
    z_mm: float
    body_mm: float
    body_spread_mm: float
    closed_mm: float | None
    worn_mm: float | None
    squeezed_mm: float | None
    gap_mm: float | None
    pressure_kpa: float | None
    side_pressure_kpa: float | None
    comfort_kpa: float
    feel: Feel | None
    stand_off_mm: float | None
    swing_mm: float | None
    padded_mm: float = 0.0

    @property
    def with_padding_mm(self) -> float:
        """Her girth with the padding that she wears under it."""
        return self.body_mm + self.padded_mm


class GapShape(Record):
    """The gap as a whole: a word, and its tilt (top minus bottom) and bow (middle minus ends) in mm."""

    shape: ShapeWord
    mean_mm: float
    tilt_mm: float
    bow_mm: float


class Fit(Record):
    """How a garment settles: by level, along the lacing edge, and as a whole.

    `holds_up_n` is what friction holds of a weight on it, `shape_holds_n` what her shape adds, from edge to edge.
    """

    levels: tuple[LevelFit, ...]
    shape: GapShape
    z_mm: tuple[float, ...]
    gap_mm: tuple[float, ...]
    pressure_kpa: tuple[float, ...]
    pull_n_per_m: float
    edge_n_m2: float
    take_up_mm: float
    stretch_mm: float
    holds_up_n: float
    shape_holds_n: float

    @property
    def waist_gap_mm(self) -> float | None:
        """The gap at the waist; None where it does not cover one."""
        return next((level.gap_mm for level in self.levels if level.name == "waist"), None)

    @property
    def waist_pressure_kpa(self) -> float | None:
        """The pressure at the waist; None where it does not cover one."""
        return next((level.pressure_kpa for level in self.levels if level.name == "waist"), None)

    @property
    def pull_at(self) -> tuple[float, ...]:
        """What the garment carries by level where it is worn, N per m: tension from pressure and girth."""
        return tuple(
            level.pressure_kpa * level.squeezed_mm / (2 * math.pi)
            for level in self.levels
            if level.pressure_kpa is not None and level.squeezed_mm is not None
        ) or (0.0,)

    def gap_at(self, z_mm: float) -> float:
        """Gap at a height on the lacing edge, mm; beyond its ends, that of the end."""
        return float(np.interp(z_mm, self.z_mm, self.gap_mm))


@dataclass(frozen=True)
class Lacing:
    """A pattern made up in some cloth and laced: what `settle` needs beside the body.

    `tied_mm` fixes the gap of what is never drawn in; what closes without a lace is `shut`: edge to edge, whatever that
    takes, and `pull_n_per_m` is what it is planned to carry. A mock-up of it is `pinned` where it comes together at a
    pull, also further in than its edges. `padding` worn under it: heights at the back, rising, and what it takes there
    of the girth, mm.
    """

    pattern: Pattern
    stack: Stack
    edge_n_m2: float
    pull_n_per_m: float
    practice: Practice
    tied_mm: float | None = None
    shut: bool = False
    pinned: bool = False
    padding: tuple[tuple[float, float], ...] = ()

    @property
    def closed_at_mm(self) -> float | None:
        """The gap at which it is closed whatever the pull; None where the pull decides."""
        return 0.0 if self.shut and self.tied_mm is None else self.tied_mm

    @property
    def z(self) -> Array:
        """Heights along the lacing edge at CB, mm."""
        return self.pattern.shape.lacing_edge[0]

    @cached_property
    def take_up_mm(self) -> float:
        return take_up(self.stack, 2 * (len(self.pattern.panels) - 1), self.practice)

    def padded_at(self, back_mm: Array | float) -> Array:
        """What padding takes of the girth at heights of the back, mm."""
        if not self.padding:
            return np.zeros_like(np.asarray(back_mm, float))
        heights, mm = zip(*self.padding, strict=True)
        return np.asarray(np.interp(back_mm, heights, mm))

    @cached_property
    def takes(self) -> Array:
        """What cloth and padding take of the girth along `z`, mm."""
        return self.take_up_mm + self.padded_at(self.z)

    def of(self, pattern: Pattern) -> "Lacing":
        """The same, of another pattern."""
        return replace(self, pattern=pattern)

    @property
    def flat(self) -> Array:
        """Sewn girth along `z` as the pull meets it, mm: with the slack that was taken out, which bore no tension."""
        return self.pattern.shape.lacing_edge[1] + self.pattern.shape.slack_out

    def stretch_on(self, body: Body) -> float:
        """Factor by which the sewn girth stretches under the pull, and by what this cloth is believed to do.

        What is tied is not drawn, and does not stretch.
        """
        if self.tied_mm is not None:
            return 1.0
        return 1 + self.pull_n_per_m * self.stack.stretch_per_n + body.stretch_of(self.stack.cloth)

    def give(self, body: Body) -> Array:
        """The share by which the body can give along `z`."""
        at = self.z + body.ride_mm
        return np.interp(at, [level.back_mm for level in body], [level.give for level in body])

    @cached_property
    def uneven(self) -> tuple[Array, Array]:
        """How a pull that leans to the top lies along `z`, and the share of the way from the loops to the far end."""
        s = 2 * (self.z - self.z[0]) / (self.z[-1] - self.z[0]) - 1
        loops = min(max(0.0, float(self.z[0])), float(self.z[-1]))
        away = np.abs(self.z - loops)
        return s, away / away.max()

    def on(self, body: Body) -> Hold:
        """The garment laced on a body as planned: as it sits there, and pulled as unevenly as there."""
        pull: float | Array = self.pull_n_per_m
        if body.lean or body.friction:
            lean, far = self.uneven
            pull = pull * np.maximum(1 + body.lean * lean - body.friction * far, 0.05)
        sewn = self.flat * self.stretch_on(body)
        flesh = body.flesh_scale, body.stiffening
        return self.hold(body.natural_at(self.z + body.ride_mm), self.give(body), sewn, pull, flesh)

    def hold(
        self, natural: Array, give: Array, sewn: Array, pull: float | Array, flesh: tuple[float, float] = (1.0, 0.0)
    ) -> Hold:
        """The laced garment on a body with these natural girths along `z`, worn girths and pull.

        `flesh` is the factor on the house's pressure scale, and how the flesh stiffens.
        """
        scale = self.practice.pressure_scale_kpa * flesh[0]
        return Hold(
            z_mm=self.z,
            natural_mm=natural,
            give=give,
            sewn_mm=sewn,
            take_up_mm=self._taken,
            pull_n_per_m=pull,
            edge_n_m2=self.edge_n_m2,
            pressure_scale_kpa=scale,
            stiffening=flesh[1],
        )

    def holds(self, natural: Array, give: Array, sewn: Array, pull: Array, flesh: tuple[Array, Array]) -> Holds:
        """As `hold` on many bodies, each array with a row for each."""
        scale = self.practice.pressure_scale_kpa * flesh[0]
        return Holds(
            z_mm=self.z,
            natural_mm=natural,
            give=give,
            sewn_mm=sewn,
            take_up_mm=self._taken,
            pull_n_per_m=pull,
            edge_n_m2=self.edge_n_m2,
            pressure_scale_kpa=scale,
            stiffening=flesh[1],
        )

    @property
    def _taken(self) -> float | Array:
        return self.takes if self.padding else self.take_up_mm


def fit(lacing: Lacing, body: Body) -> Fit:
    """Settle a garment on a body, and say what it does there. Raises Unsettled if it finds no balance."""
    hold = lacing.on(body)
    closed = lacing.closed_at_mm
    settled = settle(hold, overlap=lacing.pinned) if closed is None else tie(hold, closed)
    overlap = 0.0
    if closed is None and not lacing.pinned and settled.touching.any():
        passing = settle(settled.hold, overlap=True, start=settled.gap_mm)
        overlap = max(0.0, -float(passing.gap_mm.min()))
    friction = lacing.practice.friction * 2 * math.pi
    return Fit(
        levels=_levels(lacing, body, settled),
        shape=gap_shape(settled.z, settled.gap_mm, overlap, lacing.practice),
        z_mm=tuple(settled.z),
        gap_mm=tuple(settled.gap_mm),
        pressure_kpa=tuple(settled.pressure_kpa),
        pull_n_per_m=float(settled.tension_n_per_m.mean()) if lacing.shut else lacing.pull_n_per_m,
        edge_n_m2=lacing.edge_n_m2,
        take_up_mm=lacing.take_up_mm,
        stretch_mm=float((lacing.stretch_on(body) - 1) * lacing.pattern.shape.lacing_edge[1].mean()),
        holds_up_n=friction * float(np.trapezoid(settled.tension_n_per_m, settled.z)) / 1000,
        shape_holds_n=shape_holds(settled.z, settled.hoop_mm + lacing.padded_at(settled.z), settled.tension_n_per_m),
    )


@lru_cache(maxsize=64)
def _legendre_fit(heights: bytes) -> Array:
    """(3, n): from values at heights to their least-squares mean, line and parabola, in Legendre terms."""
    z = np.frombuffer(heights)
    s = 2 * (z - z[0]) / (z[-1] - z[0]) - 1
    terms = np.stack([np.ones(len(s)), s, 1.5 * s**2 - 0.5])
    return np.linalg.pinv(terms.T)


def gap_moments(z: Array, gap: Array) -> tuple[Array, Array, Array]:
    """Mean, tilt (top minus bottom) and bow (middle minus ends) in mm of gaps (points,) or (points, garments)."""
    _, slope, curve = _legendre_fit(np.asarray(z, dtype=float).tobytes()) @ gap
    return gap.mean(axis=0), 2 * slope, -1.5 * curve


def gap_shape(z: Array, gap: Array, overlap_mm: float, practice: Practice) -> GapShape:
    """Name the shape of a gap: least-squares line and parabola over the lacing edge (Legendre terms)."""
    _, tilt, bow = (float(moment) for moment in gap_moments(z, gap))
    word: ShapeWord = "parallel"
    limit = practice.parallel_mm
    if overlap_mm > limit and float(gap.max()) < limit:
        word = "overlapping"
    elif float(gap.max()) < 1.0:
        word = "closed"
    elif max(abs(tilt), abs(bow)) > limit:
        if abs(tilt) >= abs(bow):
            word = "wide at top" if tilt > 0 else "wide at bottom"
        else:
            word = "wide at waist" if bow > 0 else "narrow at waist"
    return GapShape(shape=word, mean_mm=float(gap.mean()), tilt_mm=tilt, bow_mm=bow)


def feel_of(pressure_kpa: float, comfort_kpa: float, stand_off_mm: float) -> Feel:
    """The pressure in words, by its share of what is close but comfortable."""
    share = pressure_kpa / comfort_kpa
    if stand_off_mm > 0 or share < 0.02:
        return "stands off"
    if share < 0.3:
        return "light"
    if share < 0.7:
        return "close"
    return "firm" if share <= 1.0 else "too firm"


def feel_of_room(room_mm: float) -> Feel:
    """The room in a garment that is tied and never drawn in, in words (model, section 6)."""
    for most, feel in ROOM_FEELS:
        if room_mm < most:
            return feel
    return "stands off"


def _levels(lacing: Lacing, body: Body, settled: Settled) -> tuple[LevelFit, ...]:
    found = []
    nominal = np.array([level.side_mm for level in body])
    closed = lacing.pattern.shape.sewn_girth(nominal)
    stretch = lacing.stretch_on(body)
    front = lacing.pattern.shape.front_half(nominal) * stretch
    lowest, highest = min(lacing.pattern.hem.heights()), max(lacing.pattern.top.heights())
    for i, level in reversed(list(enumerate(body))):
        covered = settled.z[0] - 0.5 <= level.back_mm <= settled.z[-1] + 0.5
        at = {
            name: float(np.interp(level.back_mm, settled.z, values)) if covered else None
            for name, values in (
                ("gap", settled.gap_mm),
                ("tension", settled.tension_n_per_m),
                ("pressure", settled.pressure_kpa),
            )
        }
        padded = float(lacing.padded_at(level.back_mm))
        gap, tension, pressure = at["gap"], at["tension"], at["pressure"]
        hoop = worn = side = off = swing = feel = None
        if gap is not None and tension is not None and pressure is not None:
            worn = float(closed[i]) * stretch + gap
            hoop = worn - lacing.take_up_mm - padded
            off = max(0.0, hoop - level.girth_mm)
            side = float(side_pressure(np.array(tension), np.array(hoop), np.array(level.width_to_depth)))
            swing = float(front[i]) - level.front_share * worn / 2
            feel = feel_of(pressure, level.comfort_kpa, off)
            if lacing.tied_mm is not None:
                feel = feel_of_room(hoop - level.girth_mm)
        found.append(
            LevelFit(
                name=level.name,
                label=LEVEL_LABELS[level.name],
                z_mm=level.side_mm,
                body_mm=level.girth_mm,
                body_spread_mm=level.spread_mm,
                closed_mm=float(closed[i]) if lowest - 0.5 <= level.side_mm <= highest + 0.5 or covered else None,
                worn_mm=worn,
                squeezed_mm=min(hoop, level.girth_mm) if hoop is not None else None,
                gap_mm=gap,
                pressure_kpa=pressure,
                side_pressure_kpa=side,
                comfort_kpa=level.comfort_kpa,
                feel=feel,
                stand_off_mm=off,
                swing_mm=swing,
                padded_mm=padded,
            )
        )
    return tuple(found)


def check_fit(
    found: Fit, practice: Practice, asked: Mapping[LevelName, float] | None = None, stage: Stage = "mockups"
) -> list[Finding]:
    """What the wearer would feel: levels too firm, ribs squeezed, edges that gape beyond the ease `asked` there, mm."""
    findings = []
    for level in found.levels:
        if level.pressure_kpa is None or level.squeezed_mm is None or level.stand_off_mm is None:
            continue
        squeeze = 1 - level.squeezed_mm / level.body_mm
        told: list[tuple[str, dict[str, float]]] = []
        room = level.squeezed_mm + level.stand_off_mm - level.body_mm
        if level.name in NECK:  # it is tied, never drawn in: what counts is room
            if room < practice.neck_ease_mm - practice.pass_room_mm:
                told.append(("collar_close", {"room_mm": room, "wished_mm": practice.neck_ease_mm}))
        elif level.feel == "too firm" and level.name != "waist":  # of the waist it is told with the wish
            told.append(("too_firm", {"pressure_kpa": level.pressure_kpa, "comfort_kpa": level.comfort_kpa}))
        if level.name in ("underbust", "ribs") and squeeze > practice.caution_ribs:
            told.append(("ribs_squeezed", {"squeeze_share": squeeze, "limit_share": practice.caution_ribs}))
        room_asked = max((asked or {}).get(level.name, 0.0), 0.0)
        if level.stand_off_mm > practice.stand_off_mm + room_asked and level.name not in NECK:
            told.append(("stands_off", {"stand_off_mm": level.stand_off_mm}))
        findings += [
            finding(code, stage, "caution", where=level.label, numbers=numbers, level=level.name)
            for code, numbers in told
        ]
    return findings
