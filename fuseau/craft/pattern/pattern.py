"""The pattern: panels of one half, from centre front to centre back, and the girths they make.

x runs from CF to CB in each panel's own frame, z up from the zero line (the waistline), both mm. A panel edge is
given at stations (the body's levels, and more where a pattern was traced); between them runs a spline in tension
shared by all edges, so that widths add up to the half girth at every height. Where a level is not horizontal round
the body, a station has a height at front, side and back, and an edge meets it at the height of its place between
them. What was taken in or let out by hand at one place is a bump on an edge, so that it can be undone exactly.
"""

from dataclasses import dataclass
from functools import cached_property
from typing import Annotated, Literal

import numpy as np
from pydantic import Field, model_validator

from fuseau.craft.base.curves import MOST_STRAIN, Array, Basis, basis, calm_basis
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Record, Text
from fuseau.craft.wearer.measures import LevelName

LACING_POINTS = 61
_SOFT = 0.05

Height = Annotated[float, Length("a height on the pattern", -500, 500)]
Across = Annotated[float, Length("a place across a panel", -400, 1200)]
PlaceRound = Annotated[float, Field(ge=0, le=2, description="0 at CF, 1 at the side, 2 at CB, by width between.")]
End = Literal["top", "hem"]


class Station(Record):
    """A height at which edges are given: at front, side and back. Those at a level of the body have its name."""

    name: LevelName | None = None
    front_mm: Height
    side_mm: Height
    back_mm: Height


class Bump(Record):
    """A smooth shift of one edge toward CB (+) or CF (−): `amount_mm` at its peak, fading to 0 at low and high.

    None at low or high lets it run out at that end of the panel. A `straight` one fades as a wedge does, but for a soft
    beginning. What is `slack` was seen on her at this place, too much or missing: it bears no tension and moves no gap.
    """

    low_mm: Height | None = None
    peak_mm: Height
    high_mm: Height | None = None
    amount_mm: Across
    straight: bool = False
    slack: bool = False

    def at(self, nominal: Array) -> Array:
        """The shift at nominal heights, mm; quintic steps, so that slope and curvature do not jump."""
        step = _wedge if self.straight else _step
        rising = 1.0 if self.low_mm is None else step((nominal - self.low_mm) / max(self.peak_mm - self.low_mm, 1))
        falling = 1.0 if self.high_mm is None else step((self.high_mm - nominal) / max(self.high_mm - self.peak_mm, 1))
        return np.asarray(self.amount_mm * np.minimum(rising, falling) * np.ones_like(nominal))


def _step(t: Array) -> Array:
    held = np.clip(t, 0, 1)
    return np.asarray(held**3 * (held * (6 * held - 15) + 10))


def _wedge(t: Array) -> Array:
    """From 0 to 1 in a straight line, but for a parabola where it begins."""
    held = np.clip(t, 0, 1)
    return np.asarray(np.where(held < 2 * _SOFT, held**2 / (4 * _SOFT), held - _SOFT) / (1 - _SOFT))


class Panel(Record):
    """One panel: the x of its edge toward CF and of its edge toward CB, at every station, and bumps on them."""

    number: int = Field(ge=1, le=9)
    cf_edge_mm: tuple[Across, ...]
    cb_edge_mm: tuple[Across, ...]
    cf_bumps: tuple[Bump, ...] = Field(default=(), max_length=80)
    cb_bumps: tuple[Bump, ...] = Field(default=(), max_length=80)


class EdgePoint(Record):
    """A point of a top line or hem between CF, side and CB; smooth, or a corner."""

    place: PlaceRound
    z_mm: Height
    corner: bool = False


class EdgeLine(Record):
    """A top line or hem: its heights at CF, side seam and CB, and points between, from CF to CB.

    It crosses CF and CB level (mirrored smoothly) unless a corner is wanted there.
    """

    cf_mm: Height
    side_mm: Height
    cb_mm: Height
    points: tuple[EdgePoint, ...] = Field(default=(), max_length=90)
    corner_at_cf: bool = False
    corner_at_cb: bool = False

    @model_validator(mode="after")
    def _in_order(self) -> "EdgeLine":
        places = [point.place for point in self.points]
        if any(after - before < 1e-3 for before, after in zip(places, places[1:], strict=False)):
            raise ValueError("the points of a top line or hem go from CF to CB")
        return self

    def heights(self) -> list[float]:
        """Every height that it goes through, mm."""
        return [self.cf_mm, self.side_mm, self.cb_mm, *(point.z_mm for point in self.points)]

    def moved(self, by_mm: float) -> "EdgeLine":
        """The whole line higher by so much."""
        return self.model_copy(
            update={
                "cf_mm": self.cf_mm + by_mm,
                "side_mm": self.side_mm + by_mm,
                "cb_mm": self.cb_mm + by_mm,
                "points": tuple(p.model_copy(update={"z_mm": p.z_mm + by_mm}) for p in self.points),
            }
        )


Allowance = Annotated[float, Length("a seam allowance", 0, 80, hardware=True)]


class Allowances(Record):
    """Seam allowance per kind of edge, mm; `by_seam` overrides single seams ("2·3"). Top and hem are 0 if bound."""

    seams_mm: Annotated[float, Length("a seam allowance", 0, 40, hardware=True)] = 15
    top_mm: Annotated[float, Length("a top allowance", 0, 40, hardware=True)] = 0
    hem_mm: Annotated[float, Length("a hem allowance", 0, 40, hardware=True)] = 0
    cf_mm: Annotated[float, Length("the allowance at CF", 0, 60, hardware=True)] = 20
    cb_mm: Annotated[float, Length("the allowance at CB", 0, 80, hardware=True)] = 45
    by_seam: dict[Annotated[str, Text(12)], Allowance] = Field(default_factory=dict, max_length=20)

    def of_seam(self, seam: int) -> float:
        """The allowance of seam k (between panels k and k + 1), mm."""
        return self.by_seam.get(seam_label(seam), self.seams_mm)


def seam_label(seam: int) -> str:
    """How seam k is called: 2·3 joins panels 2 and 3."""
    return f"{seam}·{seam + 1}"


class Gusset(Record):
    """A wedge let into a seam, or slashed into a panel, from an edge: so wide there, so deep.

    It widens the girth, on both halves. A slash runs `across` of the way from the panel's edge toward CF to that toward
    CB.
    """

    seam: int | None = Field(default=None, ge=1, le=8)
    panel: int | None = Field(default=None, ge=1, le=9, description="Slashed into this panel, and in no seam.")
    across: float = Field(default=0.5, ge=0.1, le=0.9)
    end: End
    width_mm: Annotated[float, Length("a gusset's width", 5, 200)]
    depth_mm: Annotated[float, Length("a gusset's depth", 20, 300)]
    tip_mm: Height = Field(description="Height of its point.")

    @model_validator(mode="after")
    def _in_one_place(self) -> "Gusset":
        if (self.seam is None) == (self.panel is None):
            raise ValueError("a gusset is let into a seam, or slashed into a panel")
        return self

    def in_front(self, front_panels: int) -> bool:
        """Whether what it lets in lies before the side seam."""
        return self.panel <= front_panels if self.panel is not None else (self.seam or 0) < front_panels

    def width_at(self, z: Array) -> Array:
        """Its width at heights, mm: 0 beyond its point, and no more than its own beyond the edge of the garment."""
        way = z - self.tip_mm if self.end == "top" else self.tip_mm - z
        return np.asarray(self.width_mm * np.clip(way / self.depth_mm, 0, 1))


class Dart(Record):
    """Cloth stitched away inside a panel: widest at one height, running out at `low_mm` and `high_mm`.

    It takes `width_mm` off the girth there, on both halves. `across` is its place in the panel: 0 at its edge
    toward CF, 1 at its edge toward CB.
    """

    panel: int = Field(ge=1, le=9)
    across: float = Field(ge=0.1, le=0.9)
    width_mm: Annotated[float, Length("a dart's width", 3, 80)]
    low_mm: Height
    widest_mm: Height
    high_mm: Height

    @model_validator(mode="after")
    def _in_order(self) -> "Dart":
        if not self.low_mm <= self.widest_mm <= self.high_mm or self.high_mm - self.low_mm < 20:
            raise ValueError("a dart is 2 cm long at least, and its widest place lies between its ends")
        return self

    def width_at(self, z: Array) -> Array:
        """Its width at heights, mm. An end at the widest place itself stays open beyond, for a dart from an edge."""
        up = (z - self.low_mm) / (self.widest_mm - self.low_mm) if self.widest_mm > self.low_mm else np.ones_like(z)
        down = (
            (self.high_mm - z) / (self.high_mm - self.widest_mm) if self.high_mm > self.widest_mm else np.ones_like(z)
        )
        return np.asarray(self.width_mm * np.clip(np.minimum(up, down), 0, 1))


class LeftHalf(Record):
    """The left half where it differs from the right: its panels and edges."""

    panels: tuple[Panel, ...]
    top: EdgeLine
    hem: EdgeLine


Offset = Annotated[float, Length("a change of girth", -400, 400)]


class BlockGirth(Record):
    """An amount of girth at a level, in front and behind, mm of both halves together."""

    level: LevelName
    front_mm: Offset = 0.0
    back_mm: Offset = 0.0
    wish: Annotated[str, Text(60), Field(description="What was wished of this girth when it was decided.")] = ""

    @property
    def whole_mm(self) -> float:
        """Front and back together."""
        return self.front_mm + self.back_mm


def summed(*parts: tuple[BlockGirth, ...]) -> tuple[BlockGirth, ...]:
    """Amounts of girth added up by level; what comes to nothing is left out."""
    found: dict[LevelName, BlockGirth] = {}
    for one in (one for part in parts for one in part):
        was = found.get(one.level)
        if was is not None:
            more = {"front_mm": was.front_mm + one.front_mm, "back_mm": was.back_mm + one.back_mm}
            one = one.model_copy(update={**more, "wish": one.wish or was.wish})
        found[one.level] = one
    return tuple(one for one in found.values() if max(abs(one.front_mm), abs(one.back_mm)) > 0.05)


def beside_waist(part: tuple[BlockGirth, ...], wish: str) -> tuple[BlockGirth, ...]:
    """Decisions with what was wished of the waist at the time, where they change it."""
    return tuple(one.model_copy(update={"wish": wish}) if one.level == "waist" else one for one in part)


def decided_beside(part: tuple[BlockGirth, ...], wish: str) -> tuple[BlockGirth, ...]:
    """Decisions that stand beside what is wished now: a girth that was wished otherwise since is as it is wished."""
    return tuple(one for one in part if one.wish in ("", wish))


def negative(part: tuple[BlockGirth, ...]) -> tuple[BlockGirth, ...]:
    """The same amounts the other way."""
    return tuple(one.model_copy(update={"front_mm": -one.front_mm, "back_mm": -one.back_mm}) for one in part)


def girth_between(before: "Pattern", after: "Pattern") -> tuple[BlockGirth, ...]:
    """By how much sewn girths differ from one pattern to another, at the levels that both have."""
    stations = before.stations_named()
    names = [name for name in stations if name in after.stations_named()]
    if not names:
        return ()
    heights = np.array([before.stations[stations[name]].side_mm for name in names])
    whole = after.shape.sewn_girth(heights) - before.shape.sewn_girth(heights)
    front = 2 * (after.shape.front_half(heights) - before.shape.front_half(heights))
    return summed(
        tuple(
            BlockGirth(level=name, front_mm=float(a), back_mm=float(b - a))
            for name, a, b in zip(names, front, whole, strict=True)
        )
    )


class Pattern(Record):
    """A half pattern, and the left half where it differs. `front_panels` lie between CF and the side seam.

    `joined` seams are not cut: both panels are one piece, and what lies between their edges is stitched as a dart.
    """

    stations: tuple[Station, ...] = Field(min_length=3, max_length=80)
    panels: tuple[Panel, ...] = Field(min_length=2, max_length=9)
    front_panels: int = Field(ge=1, le=8)
    top: EdgeLine
    hem: EdgeLine
    left: LeftHalf | None = None
    allowances: Allowances = Allowances()
    gussets: tuple[Gusset, ...] = Field(default=(), max_length=12)
    darts: tuple[Dart, ...] = Field(default=(), max_length=12)
    joined: tuple[int, ...] = Field(default=(), max_length=8)
    slack: tuple[BlockGirth, ...] = Field(
        default=(),
        max_length=12,
        description="Cloth that stood off in one place while the rest lay on, and was taken out: it bore no tension.",
    )
    decided: tuple[BlockGirth, ...] = Field(
        default=(),
        max_length=12,
        description="What the maker changed by hand beside what was worked out: later changes start from it.",
    )
    strain: tuple[Annotated[float, Field(ge=0, le=MOST_STRAIN)], ...] = Field(
        default=(),
        max_length=79,
        description="Tension of the curves between stations, fixed when the pattern is made, so that no later edit "
        "moves what it does not name; empty takes just enough for the edges as they are.",
    )

    @cached_property
    def shape(self) -> "Shape":
        """The pattern as arrays (its right half, and the girths of both)."""
        return Shape(self)

    def altered(self, **update: object) -> "Pattern":
        """The pattern with fields changed. On the same stations its curves keep their spline basis, and its maps."""
        found = self.model_copy(update=update)
        if self.strain and not {"stations", "strain"} & update.keys():
            found.__dict__["shape"] = Shape(found, self.shape.basis)
        return found

    @cached_property
    def left_pattern(self) -> "Pattern | None":
        """The left half as a pattern of its own, if it differs."""
        if self.left is None:
            return None
        return self.altered(panels=self.left.panels, top=self.left.top, hem=self.left.hem, left=None)

    def fixed(self) -> "Pattern":
        """The same pattern with the tension of its curves written down."""
        halves = [self.shape.edges, *([self.left_pattern.shape.edges] if self.left_pattern else [])]
        found = calm_basis(self.shape.nominal, np.concatenate(halves, axis=1))
        return self.model_copy(update={"strain": tuple(map(float, found.strain))})

    @property
    def offsets(self) -> tuple[BlockGirth, ...]:
        """By how much its girths are meant to differ from what the body asks for: slack taken out, and decisions."""
        return summed(self.decided, negative(self.slack), self.shape.slack_at_levels)

    def stations_named(self) -> dict[LevelName, int]:
        """Where each level of the body stands among the stations."""
        return {station.name: i for i, station in enumerate(self.stations) if station.name is not None}

    @model_validator(mode="after")
    def _hangs_together(self) -> "Pattern":
        heights = [station.side_mm for station in self.stations]
        if any(above <= below for below, above in zip(heights, heights[1:], strict=False)):
            raise ValueError("the stations of a pattern go from the lowest up")
        if self.strain and len(self.strain) != len(heights) - 1:
            raise ValueError("a pattern has one tension for each stretch between stations")
        if self.front_panels >= len(self.panels):
            raise ValueError("there is no panel behind the side seam")
        if self.left is not None and len(self.left.panels) != len(self.panels):
            raise ValueError("both halves have the same number of panels")
        for panels in (self.panels, self.left.panels if self.left else ()):
            if [panel.number for panel in panels] != list(range(1, len(panels) + 1)):
                raise ValueError("panels are numbered 1 at centre front to N at centre back")
            for panel in panels:
                if not len(panel.cf_edge_mm) == len(panel.cb_edge_mm) == len(heights):
                    raise ValueError(f"panel {panel.number} needs both edges at every station")
        seams = len(self.panels) - 1
        if any((gusset.seam or 0) > seams for gusset in self.gussets) or any(
            not 1 <= seam <= seams for seam in self.joined
        ):
            raise ValueError("a gusset or a joined seam names a seam that is not there")
        named = [*(dart.panel for dart in self.darts), *(gusset.panel or 0 for gusset in self.gussets)]
        if any(panel > len(self.panels) for panel in named):
            raise ValueError("a dart or gusset names a panel that is not there")
        return self


@dataclass(frozen=True, eq=False)
class Shape:
    """A pattern as arrays. Edges are in order CF to CB: panel 1 toward CF, panel 1 toward CB, panel 2 …

    `known` is the spline basis of its stations and strain, where another pattern has it already.
    """

    pattern: Pattern
    known: Basis | None = None

    @cached_property
    def nominal(self) -> Array:
        """Heights of the stations at the side, (k,) mm: the coordinate ζ of everything below."""
        return np.array([station.side_mm for station in self.pattern.stations])

    @cached_property
    def edges(self) -> Array:
        """x of every edge at every station without bumps, (k, 2·panels) mm."""
        columns = [edge for panel in self.pattern.panels for edge in (panel.cf_edge_mm, panel.cb_edge_mm)]
        return np.array(columns, dtype=float).T

    @cached_property
    def basis(self) -> Basis:
        """The spline basis that all edges share."""
        if self.known is not None:
            return self.known
        if self.pattern.strain:
            return basis(self.nominal, self.pattern.strain)
        return calm_basis(self.nominal, self.edges)

    @cached_property
    def _bumps(self) -> list[tuple[int, Bump]]:
        return [
            (2 * i + side, bump)
            for i, panel in enumerate(self.pattern.panels)
            for side, bumps in ((0, panel.cf_bumps), (1, panel.cb_bumps))
            for bump in bumps
        ]

    def across(self, nominal: Array) -> Array:
        """x of every edge at nominal heights (n,), bumps included: (n, 2·panels) mm."""
        x = self.basis.at(nominal) @ self.edges
        for edge, bump in self._bumps:
            x[:, edge] += bump.at(nominal)
        return np.asarray(x)

    def seams_from_cf(self, height: float) -> Array:
        """Running width from CF to every seam, CF and CB included, at one nominal height: (panels + 1,) mm."""
        return np.concatenate([[0.0], np.cumsum(self.gross_widths(np.array([height]))[0])])

    @cached_property
    def places(self) -> Array:
        """Where each edge lies round the body, (2·panels,): 0 at CF, 1 at the side, 2 at CB, by width at the waist."""
        run = self.seams_from_cf(0.0)
        count, side = len(self.pattern.panels), run[self.pattern.front_panels]
        seams = np.where(run <= side + 1e-9, run / side, 1 + (run - side) / (run[-1] - side))
        return np.array([seams[j + k] for j in range(count) for k in (0, 1)])

    def _shifts(self, places: Array) -> Array:
        """How much higher than at the side each station lies at `places`, (k, len(places)) mm."""
        front = np.array([station.front_mm - station.side_mm for station in self.pattern.stations])
        back = np.array([station.back_mm - station.side_mm for station in self.pattern.stations])
        return np.outer(front, np.clip(1 - places, 0, 1)) + np.outer(back, np.clip(places - 1, 0, 1))

    def drawn(self, nominal: Array) -> tuple[Array, Array]:
        """x and z of every edge at nominal heights (n,): two arrays (n, 2·panels), mm."""
        return self.across(nominal), nominal[:, None] + self.basis.at(nominal) @ self._shifts(self.places)

    def heights_at(self, nominal: Array, place: float) -> Array:
        """z (mm) of nominal heights at one place round the body (0 CF, 1 side, 2 CB)."""
        return nominal + (self.basis.at(nominal) @ self._shifts(np.array([place])))[:, 0]

    def gross_widths(self, nominal: Array) -> Array:
        """Width of every panel before its darts are stitched, (n, panels) mm."""
        x = self.across(nominal)
        return np.asarray(x[:, 1::2] - x[:, 0::2])

    def widths(self, nominal: Array) -> Array:
        """Width of every panel at nominal heights (n,), stitch line to stitch line, less its darts: (n, panels) mm."""
        array = self.gross_widths(nominal)
        for dart in self.pattern.darts:
            array[:, dart.panel - 1] -= dart.width_at(nominal)
        return array

    def let_in(self, nominal: Array) -> Array:
        """What the gussets of one half add, (n,) mm."""
        array = np.zeros(len(nominal))
        for gusset in self.pattern.gussets:
            array += gusset.width_at(nominal)
        return array

    def half_girth(self, nominal: Array) -> Array:
        """Width of this half, gussets included, (n,) mm."""
        return np.asarray(self.widths(nominal).sum(axis=1) + self.let_in(nominal))

    def sewn_girth(self, nominal: Array) -> Array:
        """S: the width of both halves, closed, (n,) mm (model, section 3)."""
        left = self.pattern.left_pattern
        return np.asarray(self.half_girth(nominal) + (left.shape if left else self).half_girth(nominal))

    @cached_property
    def _lacing_nominal(self) -> tuple[Array, Array]:
        """Heights z at CB of the lacing edge in even steps, and the nominal heights that lie there, mm."""
        z = np.linspace(self.pattern.hem.cb_mm, self.pattern.top.cb_mm, LACING_POINTS)
        reach = np.linspace(z[0] - 60, z[-1] + 60, 121)
        return z, np.interp(z, self.heights_at(reach, 2.0), reach)

    @cached_property
    def lacing_edge(self) -> tuple[Array, Array]:
        """The lacing edge in `LACING_POINTS` even steps: heights z at CB, and the sewn girths that end there, mm."""
        z, nominal = self._lacing_nominal
        return z, self.sewn_girth(nominal)

    def slack_by_panel(self, nominal: Array) -> Array:
        """What slack at places changed of this half, by panel, (n, panels) mm; below 0 it was taken out."""
        array = np.zeros((len(nominal), len(self.pattern.panels)))
        for edge, bump in self._bumps:
            if bump.slack:
                array[:, edge // 2] += (1 if edge % 2 else -1) * bump.at(nominal)
        return array

    @cached_property
    def has_slack(self) -> bool:
        """Whether slack was taken out at a place of either half."""
        left = self.pattern.left_pattern
        return any(bump.slack for _, bump in (*self._bumps, *(left.shape._bumps if left else ())))

    def slack_girth(self, nominal: Array) -> tuple[Array, Array]:
        """What slack at places changed of the front and of the back, both halves together, each (n,) mm."""
        left = self.pattern.left_pattern
        both = self.slack_by_panel(nominal) + (left.shape if left else self).slack_by_panel(nominal)
        side = self.pattern.front_panels
        return both[:, :side].sum(axis=1), both[:, side:].sum(axis=1)

    @cached_property
    def slack_at_levels(self) -> tuple[BlockGirth, ...]:
        """What slack at places changed of the girths at the body's levels."""
        if not self.has_slack:
            return ()
        names = self.pattern.stations_named()
        front, back = self.slack_girth(self.nominal[list(names.values())])
        parts = zip(names, front, back, strict=True)
        return summed(tuple(BlockGirth(level=name, front_mm=float(a), back_mm=float(b)) for name, a, b in parts))

    @cached_property
    def slack_out(self) -> Array:
        """What of slack was taken out along the lacing edge, (LACING_POINTS,) mm of girth."""
        out = {amount.level: amount.whole_mm for amount in self.pattern.slack}
        at_stations = [out.get(station.name, 0.0) if station.name else 0.0 for station in self.pattern.stations]
        nominal = self._lacing_nominal[1]
        found = self.basis.at(nominal) @ np.array(at_stations)
        return np.asarray(found - sum(self.slack_girth(nominal)) if self.has_slack else found)

    def front_half(self, nominal: Array) -> Array:
        """Width from CF to the side seam, gussets in front included, (n,) mm."""
        front = self.widths(nominal)[:, : self.pattern.front_panels].sum(axis=1)
        for gusset in self.pattern.gussets:
            if gusset.in_front(self.pattern.front_panels):
                front = front + gusset.width_at(nominal)
        return np.asarray(front)
