"""Laying a pattern flat: top line and hem drawn across all panels, seams trued, notches set (model, section 4).

The difference between the two sides of a seam is measured from the waistline, which must meet: what lies above
goes to the top edge, what lies below to the hem, half to each side.
"""

import math
from dataclasses import dataclass

import numpy as np

from fuseau.craft.curves import Array, calm_basis, hermite, lengths_along
from fuseau.craft.pattern import EdgeLine, Pattern, Shape
from fuseau.craft.practice import Practice
from fuseau.craft.record import Record, Unmakeable

Point = tuple[float, float]

_FINE_MM = 1.0
_DRAWN_MM = 4.0


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


@dataclass(frozen=True)
class _Edge:
    """One panel edge, finely sampled: x, z, and running length from the waistline (negative below)."""

    x: Array
    z: Array
    run: Array

    def run_at_height(self, z: float) -> float:
        return float(np.interp(z, self.z, self.run))

    def cut(self, low: float, high: float) -> Array:
        """Points (n, 2) between two running lengths, ends exact."""
        count = max(3, math.ceil((high - low) / _DRAWN_MM) + 1)
        runs = np.linspace(low, high, count)
        return np.column_stack([np.interp(runs, self.run, self.x), np.interp(runs, self.run, self.z)])

    def lean(self, run: float) -> float:
        """Angle of the edge from upright at a running length, radians; positive leans toward CB."""
        near = np.array([run - 2, run + 2])
        x, z = np.interp(near, self.run, self.x), np.interp(near, self.run, self.z)
        return math.atan2(x[1] - x[0], z[1] - z[0])


def lay_flat(pattern: Pattern, practice: Practice) -> Laid:
    """Outlines, trued seams and notches of a pattern.

    Raises Unmakeable when the top line does not clear the waist and hem, or edges of a panel cross.
    """
    _check_edges(pattern)
    shape = pattern.shape
    edges = _sample(shape)
    seams_across = _seam_places(shape)
    tops, top_slopes = _edge_line(pattern.top, seams_across, pattern.front_panels)
    hems, hem_slopes = _edge_line(pattern.hem, seams_across, pattern.front_panels)
    count = len(pattern.panels)

    highs, lows, seams = np.zeros(2 * count), np.zeros(2 * count), []
    for j in range(count + 1):
        sides = [side for side in (2 * j - 1, 2 * j) if 0 <= side < 2 * count]
        above = [edges[side].run_at_height(tops[j]) for side in sides]
        below = [edges[side].run_at_height(hems[j]) for side in sides]
        highs[sides], lows[sides] = np.mean(above), np.mean(below)
        if len(sides) == 2:
            seams.append(_trued(j, above, below, edges, highs, lows))

    panels = []
    for i, panel in enumerate(pattern.panels):
        left, right = 2 * i, 2 * i + 1
        points = {side: edges[side].cut(lows[side], highs[side]) for side in (left, right)}
        panels.append(
            _panel(
                panel.number,
                points[left],
                points[right],
                _across(points[left][-1], points[right][-1], i, top_slopes, edges, highs),
                _across(points[left][0], points[right][0], i, hem_slopes, edges, lows),
                shape,
                _notches(i, lows[left], highs[left], practice),
                _notches(i + 1, lows[right], highs[right], practice) if i + 1 < count else (),
                edges,
            )
        )
    return Laid(panels=tuple(panels), seams=tuple(seams))


def _check_edges(pattern: Pattern) -> None:
    for place in ("cf_mm", "side_mm", "cb_mm"):
        if getattr(pattern.top, place) < 10:
            raise Unmakeable(f"draft.top.{place}", "The top line has to lie above the waist, by 1 cm at least.")
        if getattr(pattern.hem, place) > -10:
            raise Unmakeable(f"draft.hem.{place}", "The hem has to lie below the waist, by 1 cm at least.")


def _sample(shape: Shape) -> list[_Edge]:
    pattern = shape.pattern
    low = min(pattern.hem.cf_mm, pattern.hem.side_mm, pattern.hem.cb_mm) - 40
    high = max(pattern.top.cf_mm, pattern.top.side_mm, pattern.top.cb_mm) + 40
    nominal = np.arange(math.floor(low), math.ceil(high) + 0.5, _FINE_MM)
    x, z = shape.drawn(nominal)
    widths = x[:, 1::2] - x[:, 0::2]
    worn = (nominal > low + 40) & (nominal < high - 40)
    if (widths[worn] < 5).any():
        panel = int(np.argmin(widths[worn].min(axis=0)))
        raise Unmakeable("draft.panels", f"The edges of panel {panel + 1} would meet: use fewer panels.")
    edges = []
    for side in range(x.shape[1]):
        run = lengths_along(x[:, side], z[:, side])
        edges.append(_Edge(x[:, side], z[:, side], run - np.interp(0.0, z[:, side], run)))
    return edges


def _seam_places(shape: Shape) -> Array:
    """Running width from CF at the waist to every seam, CF and CB included, (panels + 1,) mm."""
    return np.concatenate([[0.0], np.cumsum(shape.widths(np.array([0.0]))[0])])


def _edge_line(line: EdgeLine, across: Array, front_panels: int) -> tuple[Array, Array]:
    """Height and slope of a top line or hem at every seam: smooth, and level where it crosses CF and CB."""
    side, back = across[front_panels], across[-1]
    knots = [-side, 0.0, side, back, 2 * back - side]
    values = np.array([line.side_mm, line.cf_mm, line.side_mm, line.cb_mm, line.side_mm])
    found = calm_basis(knots, values, overshoot=2.0)
    return found.at(across) @ values, found.at(across, slope=True) @ values


def _trued(j: int, above: list[float], below: list[float], edges: list[_Edge], highs: Array, lows: Array) -> TruedSeam:
    cf_side, cb_side = 2 * j - 1, 2 * j
    after = [float(lengths_along(*edges[side].cut(lows[side], highs[side]).T)[-1]) for side in (cf_side, cb_side)]
    return TruedSeam(
        seam=f"{j}·{j + 1}",
        cf_side_before_mm=above[0] - below[0],
        cb_side_before_mm=above[1] - below[1],
        cf_side_mm=after[0],
        cb_side_mm=after[1],
        put_in_top_mm=above[0] - above[1],
        put_in_hem_mm=below[1] - below[0],
    )


def _across(start: Array, end: Array, i: int, slopes: Array, edges: list[_Edge], runs: Array) -> Array:
    """A panel's piece of the top line or hem: tangents meet those of its neighbours once the seams are sewn."""
    directions = []
    for side, seam in ((2 * i, i), (2 * i + 1, i + 1)):
        pair = [s for s in (2 * seam - 1, 2 * seam) if 0 <= s < len(edges)]
        mean_lean = float(np.mean([edges[s].lean(runs[s]) for s in pair])) if len(pair) == 2 else 0.0
        angle = math.atan(slopes[seam]) + mean_lean - edges[side].lean(runs[side])
        directions.append(np.array([math.cos(angle), math.sin(angle)]))
    return hermite(start, end, directions[0], directions[1])


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
    shape: Shape,
    cf_notches: tuple[Notch, ...],
    cb_notches: tuple[Notch, ...],
    edges: list[_Edge],
) -> LaidPanel:
    left, right = edges[2 * (number - 1)], edges[2 * (number - 1) + 1]
    waist = tuple((float(np.interp(0, edge.run, edge.x)), 0.0) for edge in (left, right))
    middle = (waist[0][0] + waist[1][0]) / 2
    low, high = float(hem[:, 1].max()), float(top[:, 1].min())
    outline = np.vstack([cf_edge, top[1:-1], cb_edge[::-1], hem[::-1][1:-1]])
    widths = shape.widths(shape.nominal)[:, number - 1]
    return LaidPanel(
        number=number,
        outline=_points(outline),
        cf_edge=_points(cf_edge),
        cb_edge=_points(cb_edge),
        top=_points(top),
        hem=_points(hem),
        waist=(waist[0], waist[1]),
        grain=((middle, 0.7 * low), (middle, 0.7 * high)),
        widths_mm={s.name: float(w) for s, w in zip(shape.pattern.stations, widths, strict=True)},
        cf_notches=cf_notches,
        cb_notches=cb_notches,
    )


def _points(array: Array) -> tuple[Point, ...]:
    return tuple(map(tuple, np.round(array, 4).tolist()))
