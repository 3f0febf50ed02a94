"""Laying a pattern flat: top line and hem drawn across all panels, seams trued, notches set (model, section 4).

The difference between the two sides of a seam is measured from the waistline, which must meet: what lies above
goes to the top edge, what lies below to the hem, half to each side.
"""

import math
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from pydantic import Field

from fuseau.craft.base.curves import Array, hermite, lengths_along
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.edge_curves import EdgeCurve, curve_of, run_at
from fuseau.craft.pattern.pattern import Dart, EdgeLine, Gusset, Pattern, Shape, seam_label

Point = tuple[float, float]

LEAST_RISE_MM = 10.0  # a top line or hem nearer to the zero line leaves no room for trueing
_FINE_MM = 1.0
_DRAWN_MM = 4.0
SAGITTA_MM = 0.02  # how far a chord of an outline may lie from its curve
_LEAST_STEP_MM = 1.0
_UNEVEN_EDGE = 1.5
_UNEVEN = 3.5  # a cubic bends so much more in one place than on the whole
_CORNER_MM = 0.25  # the first and the last chord of an edge are so short, so that they point as the edge does


class Notch(Record):
    """Marks on a seam edge: `marks` ticks about a point `from_waist_mm` along the seam."""

    from_waist_mm: float
    marks: int


class LaidPanel(Record):
    """A panel as it lies on the table: closed stitch-line outline and its parts, points (x, z) in mm."""

    number: int
    outline: tuple[Point, ...]
    cf_edge: tuple[Point, ...]
    cb_edge: tuple[Point, ...]
    top: tuple[Point, ...]
    hem: tuple[Point, ...]
    waist: tuple[Point, Point]
    grain: tuple[Point, Point]
    widths_mm: dict[str, float]
    cf_notches: tuple[Notch, ...]
    cb_notches: tuple[Notch, ...]
    darts: tuple[tuple[Point, ...], ...] = ()
    slashes: tuple[tuple[Point, ...], ...] = ()

    @property
    def narrowest_mm(self) -> float:
        """How wide it is at the height where it is narrowest, mm."""
        cf, cb = np.array(self.cf_edge), np.array(self.cb_edge)
        low, high = max(cf[0, 1], cb[0, 1]), min(cf[-1, 1], cb[-1, 1])
        z = np.linspace(low, high, 60)
        return float((np.interp(z, cb[:, 1], cb[:, 0]) - np.interp(z, cf[:, 1], cf[:, 0])).min())


class LaidPiece(Record):
    """A piece beside the panels (gusset, cup, shoulder piece): outline, what its edges measure and are sewn to, mm."""

    name: str
    outline: tuple[Point, ...]
    note: str
    edges_mm: dict[str, float]
    sewn_to_mm: dict[str, float]
    cut: int = 2
    panels: tuple[int, ...] = Field(default=(), description="The panels that it is let in between; none: all of them.")
    gains_mm: dict[str, float] = Field(default_factory=dict, description="Girth that it adds by level, both halves.")
    notches: tuple[Point, ...] = Field(default=(), description="Places on its outline that meet a neighbour's.")


class TruedSeam(Record):
    """A seam between two panels: the length of its sides before and after, and where the difference went."""

    seam: str
    cf_side_before_mm: float
    cb_side_before_mm: float
    cf_side_mm: float
    cb_side_mm: float
    put_in_top_mm: float
    put_in_hem_mm: float


class Laid(Record):
    """The half garment opened flat, from CF to CB."""

    panels: tuple[LaidPanel, ...]
    seams: tuple[TruedSeam, ...]
    pieces: tuple[LaidPiece, ...] = ()


@dataclass(frozen=True)
class _Edge:
    """One panel edge, finely sampled: x, z, and running length from the waistline (negative below)."""

    x: Array
    z: Array
    run: Array

    @cached_property
    def step_mm(self) -> float:
        """How far apart it may be drawn so that no chord leaves it by more than the sagitta that is allowed."""
        at = np.arange(self.run[0], self.run[-1], _DRAWN_MM)
        x, z = np.interp(at, self.run, self.x), np.interp(at, self.run, self.z)
        bend = float(np.abs(np.diff(np.arctan2(np.diff(x), np.diff(z)))).max(initial=0.0)) / _DRAWN_MM
        return min(_DRAWN_MM, max(_LEAST_STEP_MM, math.sqrt(8 * SAGITTA_MM / max(_UNEVEN_EDGE * bend, 1e-9))))

    def run_at_height(self, z: float) -> float:
        return float(np.interp(z, self.z, self.run))

    def height_at_run(self, run: float) -> float:
        return float(np.interp(run, self.run, self.z))

    def cut(self, low: float, high: float) -> Array:
        """Points (n, 2) between two running lengths, ends exact."""
        even = np.linspace(low, high, max(3, math.ceil((high - low) / self.step_mm) + 1))
        runs = np.unique([low, low + _CORNER_MM, *even[1:-1], high - _CORNER_MM, high])
        return np.column_stack([np.interp(runs, self.run, self.x), np.interp(runs, self.run, self.z)])

    def lean(self, run: float) -> float:
        """Angle of the edge from upright at a running length, radians; positive leans toward CB."""
        near = np.array([run - 2, run + 2])
        x, z = np.interp(near, self.run, self.x), np.interp(near, self.run, self.z)
        return math.atan2(x[1] - x[0], z[1] - z[0])


def lay_flat(pattern: Pattern, practice: Practice) -> Laid:
    """Outlines, trued seams, notches and let-in pieces of a pattern's right half.

    Raises Unmakeable when the top line does not clear the zero line and hem, or edges of a panel cross.
    """
    _check_edges(pattern)
    shape = pattern.shape
    edges = _sample(shape)
    count = len(pattern.panels)
    runs = run_at(pattern.top, shape), run_at(pattern.hem, shape)
    curves = tuple(curve_of(line, run, pattern.front_panels) for line, run in zip(_lines(pattern), runs, strict=True))

    top, hem = (_drawn_line(curve, run) for curve, run in zip(curves, runs, strict=True))
    highs, lows = np.zeros(2 * count), np.zeros(2 * count)
    before: list[tuple[list[float], list[float]]] = []
    for j in range(count + 1):
        sides = [side for side in (2 * j - 1, 2 * j) if 0 <= side < 2 * count]
        above = [edges[side].run_at_height(float(top.at_seams[j])) for side in sides]
        below = [edges[side].run_at_height(float(hem.at_seams[j])) for side in sides]
        highs[sides], lows[sides] = sum(above) / len(sides), sum(below) / len(sides)
        before.append((above, below))
    points = [edge.cut(lows[side], highs[side]) for side, edge in enumerate(edges)]
    seams = tuple(_trued(j, *before[j], points[2 * j - 1 : 2 * j + 1]) for j in range(1, count))

    panels = []
    widths = shape.widths(shape.nominal)
    top_turns, hem_turns = _turns(edges, highs), _turns(edges, lows)
    for i, panel in enumerate(pattern.panels):
        left, right = 2 * i, 2 * i + 1
        panels.append(
            _panel(
                number=panel.number,
                cf_edge=points[left],
                cb_edge=points[right],
                top=_across(i, top, edges, top_turns, (points[left][-1], points[right][-1])),
                hem=_across(i, hem, edges, hem_turns, (points[left][0], points[right][0])),
                pattern=pattern,
                cf_notches=_notches(i, lows[left], highs[left], practice),
                cb_notches=_notches(i + 1, lows[right], highs[right], practice) if i + 1 < count else (),
                edges=edges,
                widths=widths[:, i],
            )
        )
    slashes = [_slash(gusset, panels[gusset.panel - 1], edges) if gusset.panel else None for gusset in pattern.gussets]
    for gusset, slash in zip(pattern.gussets, slashes, strict=True):
        if gusset.panel and slash is not None:
            slashed = panels[gusset.panel - 1]
            panels[gusset.panel - 1] = slashed.model_copy(update={"slashes": (*slashed.slashes, _points(slash))})
    pieces = _gussets(pattern, edges, highs, lows, slashes)
    return Laid(panels=tuple(panels), seams=seams, pieces=pieces)


def _lines(pattern: Pattern) -> tuple[EdgeLine, EdgeLine]:
    return pattern.top, pattern.hem


def _check_edges(pattern: Pattern) -> None:
    for place in ("cf_mm", "side_mm", "cb_mm"):
        if getattr(pattern.top, place) < LEAST_RISE_MM:
            raise Unmakeable(f"draft.top.{place}", "top_below_waist")
        if getattr(pattern.hem, place) > -LEAST_RISE_MM:
            raise Unmakeable(f"draft.hem.{place}", "hem_above_waist")
    if min(pattern.top.heights()) < LEAST_RISE_MM:
        raise Unmakeable("draft.top.side_mm", "top_point_below_waist")
    if max(pattern.hem.heights()) > -LEAST_RISE_MM:
        raise Unmakeable("draft.hem.side_mm", "hem_point_above_waist")


def _sample(shape: Shape) -> list[_Edge]:
    pattern = shape.pattern
    low, high = min(pattern.hem.heights()) - 40, max(pattern.top.heights()) + 40
    nominal = np.arange(math.floor(low), math.ceil(high) + 0.5, _FINE_MM)
    x, z = shape.drawn(nominal)
    widths = x[:, 1::2] - x[:, 0::2]
    worn = (nominal > low + 40) & (nominal < high - 40)
    if (widths[worn] < 5).any():
        panel = int(np.argmin(widths[worn].min(axis=0)))
        raise Unmakeable("draft.panels", "edges_meet", panel=panel + 1)
    edges = []
    for side in range(x.shape[1]):
        run = lengths_along(x[:, side], z[:, side])
        edges.append(_Edge(x[:, side], z[:, side], run - np.interp(0.0, z[:, side], run)))
    return edges


def _trued(j: int, above: list[float], below: list[float], sides: list[Array]) -> TruedSeam:
    """A seam from where its sides met top line and hem before, mm from the waistline, and their points after."""
    after = [float(lengths_along(*side.T)[-1]) for side in sides]
    return TruedSeam(
        seam=f"{j}·{j + 1}",
        cf_side_before_mm=above[0] - below[0],
        cb_side_before_mm=above[1] - below[1],
        cf_side_mm=after[0],
        cb_side_mm=after[1],
        put_in_top_mm=above[0] - above[1],
        put_in_hem_mm=below[1] - below[0],
    )


@dataclass(frozen=True)
class _DrawnLine:
    """A top line or hem read off where panels need it: u and height of every panel's stops, slopes at the seams."""

    curve: EdgeCurve
    stops: list[Array]
    heights: list[Array]
    at_seams: Array
    slopes_before: Array
    slopes_after: Array


def _drawn_line(curve: EdgeCurve, run: Array) -> _DrawnLine:
    stops = []
    for start, end in zip(run, run[1:], strict=False):
        inner = [float(u) for u in curve.knots if start + 1 < u < end - 1]
        if all(abs(u - (start + end) / 2) > (end - start) / 6 for u in inner):
            inner.append(float(start + end) / 2)
        stops.append(np.array([start, *sorted(inner), end]))
    heights = np.split(curve.heights(np.concatenate(stops)), np.cumsum([len(stop) for stop in stops])[:-1])
    at_seams = np.array([*(height[0] for height in heights), heights[-1][-1]])
    return _DrawnLine(
        curve=curve,
        stops=stops,
        heights=heights,
        at_seams=at_seams,
        slopes_before=curve.slopes(run, before=True),
        slopes_after=curve.slopes(run),
    )


def _across(i: int, line: _DrawnLine, edges: list[_Edge], turns: Array, corners: tuple[Array, Array]) -> Array:
    """A panel's piece of a top line or hem, (n, 2): through its points and its middle, from corner to corner.

    Tangents meet those of the neighbours once the seams are sewn: at an edge the line's slope is turned by how the
    two edges lean (`_turns`). What trueing moved at the corners is shared over the points between.
    """
    left, right = edges[2 * i], edges[2 * i + 1]
    curve, stops, heights = line.curve, line.stops[i], line.heights[i]
    share = (stops - stops[0]) / (stops[-1] - stops[0])
    z = heights + (1 - share) * (corners[0][1] - heights[0]) + share * (corners[1][1] - heights[-1])
    x = [np.interp(z, edge.z, edge.x) for edge in (left, right)]
    spots = np.column_stack([x[0] + share * (x[1] - x[0]), z])
    spots[0], spots[-1] = corners
    turned = (1 - share) * turns[2 * i] + share * turns[2 * i + 1]
    corners_at = {round(float(u), 3) for u in curve.corners}
    leaving, arriving = np.empty_like(spots), np.empty_like(spots)  # unit tangents on either side of every spot
    leaving[1:-1] = arriving[1:-1] = _between(spots)
    leaving[0] = _sloped(line.slopes_after[i], turned[0])
    arriving[-1] = _sloped(line.slopes_before[i + 1], turned[-1])
    for k in range(1, len(stops) - 1):
        at = float(stops[k])
        if round(at, 3) in corners_at:
            leaving[k] = _sloped(curve.slope(at, False), turned[k])
            arriving[k] = _sloped(curve.slope(at, True), turned[k])
    pieces = hermite(spots[:-1], spots[1:], leaving[:-1], arriving[1:], _drawn_at(spots, leaving[:-1], arriving[1:]))
    return np.vstack([spots[:1], pieces[:, 1:].reshape(-1, 2)])


def _drawn_at(spots: Array, leaving: Array, arriving: Array) -> Array:
    """Parameters at which the pieces of a line are drawn, as many as the one that bends most needs."""
    steps = np.diff(spots, axis=0)
    chords = np.hypot(steps[:, 0], steps[:, 1])
    ways = steps / chords[:, None]
    turned = sum(np.arccos(np.clip(np.sum(ways * one, axis=1), -1, 1)) for one in (leaving, arriving))
    count = math.ceil(math.sqrt(float((chords * turned).max()) * _UNEVEN / (8 * SAGITTA_MM)))
    corner = min(0.05, _CORNER_MM / float(chords.max()))
    return np.array([0.0, corner, *np.linspace(0, 1, min(60, max(5, count)) + 1)[1:-1], 1 - corner, 1.0])


def _sloped(slope: float, turned: float) -> Point:
    """Unit tangent of a slope that is turned by an angle, radians."""
    angle = math.atan(slope) + turned
    return math.cos(angle), math.sin(angle)


def _between(spots: Array) -> Array:
    """Unit tangents at the inner spots (n - 2, 2): of the parabolas through three spots, by chord lengths (Bessel)."""
    steps = np.diff(spots, axis=0)
    chords = np.hypot(steps[:, 0], steps[:, 1])[:, None]
    ways = steps / chords
    found = ways[:-1] * chords[1:] + ways[1:] * chords[:-1]
    return np.asarray(found / np.hypot(found[:, 0], found[:, 1])[:, None])


def _turns(edges: list[_Edge], ends: Array) -> Array:
    """By how much a line's slope turns at every edge so that it meets its neighbour's, (edges,) radians."""
    leans = np.array([edge.lean(end) for edge, end in zip(edges, ends, strict=True)])
    turns = -leans
    turns[1:-1] += np.repeat((leans[1:-1:2] + leans[2:-1:2]) / 2, 2)
    return turns


def _slash(gusset: Gusset, panel: LaidPanel, edges: list[_Edge]) -> Array:
    """The line that a panel is slashed along, from the point of the gusset to the edge of the panel, (n, 2)."""
    left, right = edges[2 * (panel.number - 1)], edges[2 * (panel.number - 1) + 1]
    line = np.array(sorted(panel.top if gusset.end == "top" else panel.hem))

    def across(z: Array) -> Array:
        x = [np.interp(z, edge.z, edge.x) for edge in (left, right)]
        return np.asarray(x[0] + gusset.across * (x[1] - x[0]))

    end = float(line[:, 1].mean())
    for _ in range(8):  # where the line across the panel meets its top line or hem
        end = float(np.interp(across(np.array([end]))[0], line[:, 0], line[:, 1]))
    z = np.linspace(gusset.tip_mm, end, max(3, math.ceil(abs(end - gusset.tip_mm) / _DRAWN_MM) + 1))
    return np.column_stack([across(z), z])


def _gussets(
    pattern: Pattern, edges: list[_Edge], highs: Array, lows: Array, slashes: list[Array | None]
) -> tuple[LaidPiece, ...]:
    """Gussets as flat wedges: both legs as long as the slit they are sewn into, so that they are true."""
    found = []
    for k, (gusset, slash) in enumerate(zip(pattern.gussets, slashes, strict=True)):
        if gusset.seam is not None:
            side = 2 * gusset.seam - 1
            end = highs[side] if gusset.end == "top" else lows[side]
            leg = abs(end - edges[side].run_at_height(gusset.tip_mm))
            at_edge = edges[side].height_at_run(end)
            slit, into = f"slit in seam {seam_label(gusset.seam)}", f"into seam {seam_label(gusset.seam)}"
        else:
            assert slash is not None
            leg, at_edge = float(lengths_along(*slash.T)[-1]), float(slash[-1, 1])
            slit, into = f"slash in panel {gusset.panel}", f"slashed into panel {gusset.panel}"
        if leg < gusset.width_mm / 2 + 1:
            if gusset.seam is None:
                raise Unmakeable(f"gussets.{k}", "slash_too_short", panel=gusset.panel or 0)
            raise Unmakeable(f"gussets.{k}", "gusset_too_wide", seam=seam_label(gusset.seam))
        across = float(gusset.width_at(np.array([at_edge]))[0])
        half = min(across / 2, leg * 0.95)
        rise = math.sqrt(leg**2 - half**2)
        sign = 1 if gusset.end == "top" else -1
        outline = ((0.0, 0.0), (half, sign * rise), (-half, sign * rise))
        heights = np.array([station.side_mm for station in pattern.stations])
        gains = 2 * gusset.width_at(heights)
        low, high = min(pattern.hem.heights()), max(pattern.top.heights())
        found.append(
            LaidPiece(
                name=f"gusset {k + 1}",
                outline=outline,
                note=f"{into} from the {gusset.end}, point at {gusset.tip_mm:+.0f} mm from the waist",
                sewn_to_mm={slit: leg},
                panels=(gusset.seam, gusset.seam + 1) if gusset.seam else (gusset.panel or 1,),
                edges_mm={"leg": leg, "open end": across},
                gains_mm={
                    station.name: float(gain)
                    for station, gain in zip(pattern.stations, gains, strict=True)
                    if station.name and gain > 0.05 and low <= station.side_mm <= high
                },
            )
        )
    return tuple(found)


def _notches(seam: int, low: float, high: float, practice: Practice) -> tuple[Notch, ...]:
    """Ticks on a seam: one at the waist, and at each pitch above as many as the seam's number, below one."""
    if seam == 0:
        return ()
    pitch, clear = practice.notch_pitch_mm, 15 + 2 * seam
    found = [Notch(from_waist_mm=0, marks=1)]
    found += [Notch(from_waist_mm=at, marks=seam) for at in np.arange(pitch, high - clear, pitch)]
    if len(found) == 1 and high > 2.5 * clear:
        found.append(Notch(from_waist_mm=high / 2, marks=seam))
    found += [Notch(from_waist_mm=-at, marks=1) for at in np.arange(pitch, -low - 15, pitch)]
    return tuple(found)


def _panel(
    number: int,
    cf_edge: Array,
    cb_edge: Array,
    top: Array,
    hem: Array,
    pattern: Pattern,
    cf_notches: tuple[Notch, ...],
    cb_notches: tuple[Notch, ...],
    edges: list[_Edge],
    widths: Array,
) -> LaidPanel:
    left, right = edges[2 * (number - 1)], edges[2 * (number - 1) + 1]
    waist = tuple((float(np.interp(0, edge.run, edge.x)), 0.0) for edge in (left, right))
    middle = (waist[0][0] + waist[1][0]) / 2
    low, high = float(hem[:, 1].max()), float(top[:, 1].min())
    toward_cf, toward_cb, above, below = _points(cf_edge), _points(cb_edge), _points(top), _points(hem)
    return LaidPanel.model_construct(
        number=number,
        outline=(*toward_cf, *above[1:-1], *toward_cb[::-1], *below[-2:0:-1]),
        cf_edge=toward_cf,
        cb_edge=toward_cb,
        top=above,
        hem=below,
        waist=(waist[0], waist[1]),
        grain=((middle, 0.7 * low), (middle, 0.7 * high)),
        widths_mm={s.name: float(w) for s, w in zip(pattern.stations, widths, strict=True) if s.name},
        darts=tuple(_dart(dart, left, right, low, high) for dart in pattern.darts if dart.panel == number),
        cf_notches=cf_notches,
        cb_notches=cb_notches,
    )


def _dart(dart: Dart, left: _Edge, right: _Edge, low: float, high: float) -> tuple[Point, ...]:
    """The stitch line of a dart: up its leg toward CF and down the other, closed; between hem and top line."""
    z = np.unique(np.clip([dart.low_mm, *np.linspace(dart.low_mm, dart.high_mm, 13), dart.widest_mm], low, high))
    x = [np.interp(z, edge.z, edge.x) for edge in (left, right)]
    middle, half = x[0] + dart.across * (x[1] - x[0]), dart.width_at(z) / 2
    return _points(np.vstack([np.column_stack([middle - half, z]), np.column_stack([middle + half, z])[::-1]]))


def _points(array: Array) -> tuple[Point, ...]:
    return tuple(map(tuple, np.round(array, 4).tolist()))
