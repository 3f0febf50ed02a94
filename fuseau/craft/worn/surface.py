"""A garment as a surface on her: panels, seams, bones, holes, lace, what lies on it; pressure (model, section 17).

Points are (x, y, z) in mm: to her left, up from the zero line, and ahead. A point of a flat panel lies where its
nominal height and its width from CF come to on the ring over the garment, stretched as it is worn.
"""

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.record import Record
from fuseau.craft.closures.lacing import LaceStep
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.trueing import LaidPanel, Point
from fuseau.craft.wearer.measures import LevelName
from fuseau.craft.worn.figure import Figure

_COLUMNS, _ROW_MM = 7, 9.0
_SKIN_COLUMNS = 49
_FINE_MM = 2.0
_LACE_OUT_MM = 2.0

Spatial = tuple[float, float, float]


class Patch(Record):
    """A grid of points, row by row from the lowest, as x, y, z after each other in mm, with what is felt at each point.

    `share`: the mean pressure round the ring as a share of what is comfortable there; empty where nothing is pressed.
    """

    name: str
    panel: int | None = None
    columns: int
    rows: int
    points: tuple[float, ...]
    share: tuple[float, ...] = ()


class SpatialLine(Record):
    """A line on her: what it is, what it is called, and its points."""

    what: str
    name: str = ""
    points: tuple[Spatial, ...]


class RingSeen(Record):
    """A level as it is worn: its height at the side, half width, and how far front and back lie ahead and behind."""

    level: LevelName
    y_mm: float
    half_mm: float
    front_mm: float
    back_mm: float


@dataclass(frozen=True, eq=False)
class HalfWorn:
    """One half of a garment on her. `left` is laid out mirrored."""

    figure: Figure
    pattern: Pattern
    left: bool = False

    @cached_property
    def _edges(self) -> tuple[Array, Array, Array]:
        """Fine nominal heights (n,), and x and z of every edge there, (n, 2·panels)."""
        low, high = min(self.pattern.hem.heights()) - 30, max(self.pattern.top.heights()) + 30
        nominal = np.arange(low, high + _FINE_MM, _FINE_MM)
        return nominal, *self.pattern.shape.drawn(nominal)

    @cached_property
    def _runs(self) -> Array:
        """From CF to every seam along the ring as worn, over the fine heights, (n, panels + 1) mm."""
        nominal, *_ = self._edges
        widths = self.pattern.shape.widths(nominal)
        share = self.pattern.shape.half_girth(nominal) / widths.sum(axis=1)
        worn = widths * (share * self.figure.stretch)[:, None]
        return np.concatenate([np.zeros((len(nominal), 1)), np.cumsum(worn, axis=1)], axis=1)

    def seam_runs(self, nominal: Array) -> Array:
        """From CF to every seam along the ring as worn, at nominal heights, (m, panels + 1) mm."""
        heights = self._edges[0]
        return np.column_stack([np.interp(nominal, heights, run) for run in self._runs.T])

    def of_flat(self, panel: int, points: Array) -> tuple[Array, Array]:
        """Nominal heights and lengths from CF of points (m, 2) of a flat panel, counted from 1."""
        nominal, xs, zs = self._edges
        x, z = points[:, 0], points[:, 1]
        a, b = 2 * (panel - 1), 2 * panel - 1
        here, across = z.copy(), np.zeros(len(z))
        for _ in range(4):
            ends = [np.interp(here, nominal, of[:, edge]) for of in (xs, zs) for edge in (a, b)]
            across = (x - ends[0]) / np.maximum(ends[1] - ends[0], 1e-6)
            here = here + z - (ends[2] + across * (ends[3] - ends[2]))
        before, after = (np.interp(here, nominal, self._runs[:, k]) for k in (panel - 1, panel))
        return here, before + across * (after - before)

    def to_flat(self, nominal: Array, run: Array) -> tuple[Array, Array]:
        """Which panels points at nominal heights and lengths from CF lie on, (m,) from 1, and where, (m, 2)."""
        heights, xs, zs = self._edges
        runs = self.seam_runs(nominal)
        i = np.clip((runs[:, 1:] <= run[:, None]).sum(axis=1), 0, runs.shape[1] - 2)
        rows = np.arange(len(run))
        share = (run - runs[rows, i]) / np.maximum(runs[rows, i + 1] - runs[rows, i], 1e-9)
        share = np.clip(share, 0.0, 1.0)
        edges = [np.column_stack([np.interp(nominal, heights, one) for one in of.T]) for of in (xs, zs)]
        flat = [of[rows, 2 * i] + share * (of[rows, 2 * i + 1] - of[rows, 2 * i]) for of in edges]
        return i + 1, np.column_stack(flat)

    def at(self, nominal: Array, run: Array) -> Array:
        """Points at nominal heights and lengths from CF, (m, 3)."""
        return self.mirrored(self.figure.points(self.figure.over, nominal, run))

    def points(self, panel: int, flat: Array, *, out_mm: float = 0.0) -> Array:
        """Points of a flat panel as they lie on her, (m, 3), lifted by so much."""
        return lifted(self.at(*self.of_flat(panel, flat)), out_mm)

    def mirrored(self, points: Array) -> Array:
        """Points of the right half, on this one."""
        return points * np.array([-1.0, 1.0, 1.0]) if self.left else points

    def patch(self, panel: LaidPanel) -> tuple[Patch, float]:
        """A panel on her, and its area there, mm²."""
        flat, rows = _grid(panel)
        nominal, run = self.of_flat(panel.number, flat)
        found = self.at(nominal, run)
        patch = Patch(
            name=f"panel {panel.number}",
            panel=panel.number,
            columns=_COLUMNS,
            rows=rows,
            points=flattened(found),
            share=_rounded(pressures(self.figure, nominal), 3),
        )
        return patch, area(found, rows, _COLUMNS)

    def line(self, what: str, panel: int, flat: Iterable[Point], name: str = "", out_mm: float = 0.6) -> SpatialLine:
        """A line of a flat panel on her."""
        points = self.points(panel, np.array(list(flat)), out_mm=out_mm)
        return SpatialLine(what=what, name=name, points=spatial(points))

    def edge(self, places: Sequence[Point], *, front: bool = False) -> tuple[Array, Array]:
        """Nominal heights and lengths from CF of places on the last panel, or on the first, in its flat frame."""
        return self.of_flat(1 if front else len(self.pattern.panels), np.array(places, float))


def pressures(figure: Figure, nominal: Array) -> Array:
    """Mean pressure round the ring at nominal heights as a share of what is comfortable there.

    None at all without a garment, and of a collar, which is never drawn in: of that room is told, not pressure.
    """
    if figure.fit is None or figure.body.zero == "neck_base":
        return np.zeros(0)
    at_back = np.interp(nominal, figure.heights, figure.at_lacing)
    kpa = np.interp(at_back, figure.fit.z_mm, figure.fit.pressure_kpa)
    comfort = np.interp(nominal, [level.side_mm for level in figure.body], [level.comfort_kpa for level in figure.body])
    return np.asarray(kpa / comfort)


def _grid(panel: LaidPanel) -> tuple[Array, int]:
    """A flat panel as a grid from hem to top and from CF back, (rows·columns, 2), and its rows."""
    cf, cb = np.array(panel.cf_edge), np.array(panel.cb_edge)
    hem, top = _evenly(panel.hem), _evenly(panel.top)
    rows = max(4, int(np.ceil(max(np.ptp(cf[:, 1]), np.ptp(cb[:, 1])) / _ROW_MM)) + 1)
    t = np.linspace(0.0, 1.0, rows)
    z = hem[None, :, 1] + t[:, None] * (top[:, 1] - hem[:, 1])[None, :]
    # the edges curve between hem and top: a column is a share of the width at its height
    cf, cb = cf[np.argsort(cf[:, 1])], cb[np.argsort(cb[:, 1])]
    f = np.linspace(0.0, 1.0, _COLUMNS)
    left, right = np.interp(z, cf[:, 1], cf[:, 0]), np.interp(z, cb[:, 1], cb[:, 0])
    x = left + f[None, :] * (right - left)
    x[0], x[-1] = hem[:, 0], top[:, 0]
    return np.column_stack([x.ravel(), z.ravel()]), rows


def _evenly(edge: Sequence[Point]) -> Array:
    """An edge from CF back as so many points as there are columns, even across."""
    points = np.array(edge, float)
    points = points if points[0, 0] <= points[-1, 0] else points[::-1]
    x = np.linspace(points[0, 0], points[-1, 0], _COLUMNS)
    return np.column_stack([x, np.interp(x, points[:, 0], points[:, 1])])


def area(points: Array, rows: int, columns: int) -> float:
    """The area of a grid of points (rows·columns, 3), mm²."""
    grid = points.reshape(rows, columns, 3)
    a, b, c, d = grid[:-1, :-1], grid[:-1, 1:], grid[1:, 1:], grid[1:, :-1]
    one, two = np.cross(b - a, c - a), np.cross(c - a, d - a)
    return float((np.linalg.norm(one, axis=2) + np.linalg.norm(two, axis=2)).sum() / 2)


def lifted(points: Array, out_mm: float) -> Array:
    """Points moved away from her middle line."""
    if not out_mm:
        return points
    flat = points * np.array([1.0, 0.0, 1.0])
    return np.asarray(points + out_mm * flat / np.maximum(np.linalg.norm(flat, axis=1), 1e-9)[:, None])


def skin(figure: Figure, *, from_mm: float | None = None) -> Patch:
    """Her, all round, from the lowest height shown to the highest; `from_mm` begins above so much."""
    heights = figure.heights if from_mm is None else figure.heights[figure.heights >= from_mm]
    places = np.linspace(-2.0, 2.0, _SKIN_COLUMNS)
    nominal = np.repeat(heights, _SKIN_COLUMNS)
    place = np.tile(np.abs(places), len(heights))
    here = figure.skin.at(nominal)
    across, ahead = here.point(place)
    side = np.tile(np.where(places < 0, 1.0, -1.0), len(heights))
    found = np.column_stack([side * across, figure.up(nominal, place), ahead])
    return Patch(name="her", columns=_SKIN_COLUMNS, rows=len(heights), points=flattened(found))


def behind(figure: Figure, reaches_mm: float, low_mm: float, high_mm: float, edges: tuple[Array, Array]) -> Patch:
    """What lies behind the gap from one flat height of CB to another, under both edges by so much: a panel for it.

    `edges` are lengths from CF to the edges of both halves, over the figure's heights.
    """
    inside = (figure.at_lacing > low_mm) & (figure.at_lacing < high_mm)
    heights = figure.heights[inside]
    columns = 9
    nominal = np.repeat(heights, columns)
    right, left = (np.repeat(edge[inside], columns) for edge in edges)
    whole = np.interp(nominal, figure.heights, sum(figure.skin.runs)) * 2
    share = np.tile(np.linspace(0.0, 1.0, columns), len(heights))
    start, end = right - reaches_mm, whole - left + reaches_mm
    found = figure.points(figure.skin, nominal, start + share * (end - start))
    return Patch(name="modesty panel", columns=columns, rows=len(heights), points=flattened(lifted(found, 0.4)))


Rows = tuple[Array, Array]  # nominal heights of holes, and lengths from CF to them


def lace_lines(
    figure: Figure, walk: Sequence[LaceStep], left: Rows, right: Rows, *, behind_her: bool
) -> Iterator[SpatialLine]:
    """Each end of the lace on its way from hole to hole, over her between the edges.

    Left and right are as seen from where it is laced. Lengths are from CF by her right; behind her those of the left
    half are what is left of the whole ring.
    """
    whole = [2 * np.interp(rows[0], figure.heights, sum(figure.over.runs)) for rows in (left, right)]
    runs = {
        "left": (left[0], whole[0] - left[1]) if behind_her else right,
        "right": right if behind_her else (left[0], -left[1]),
    }
    for end in dict.fromkeys(step.end for step in walk):
        way = [
            (float(runs[step.to.side][0][step.to.row]), float(runs[step.to.side][1][step.to.row]))
            for step in walk
            if step.end == end and step.to.row < len(left[0])
        ]
        if len(way) < 2:
            continue
        corners, between = np.array(way), np.linspace(0, len(way) - 1, 8 * (len(way) - 1) + 1)
        nominal, run = (np.interp(between, np.arange(len(way)), one) for one in corners.T)
        found = figure.points(figure.over, nominal, np.abs(run))
        found[:, 0] *= np.where(run < 0, -1.0, 1.0)
        yield SpatialLine(what="lace", name=end, points=spatial(lifted(found, _LACE_OUT_MM)))


def ring_line(figure: Figure, height_mm: float, first: float, last: float, *, at_front: bool = True) -> Array:
    """A line round her at the height that lies so high in front (or at the side), from place to place, (m, 3)."""
    along = figure.rise_along(0.0 if at_front else 1.0)
    nominal = float(np.interp(height_mm, along, figure.heights))
    place = np.linspace(first, last, 25)
    here = figure.over.at(np.full(len(place), nominal))
    across, ahead = here.point(place)
    return lifted(np.column_stack([-across, figure.up(np.full(len(place), nominal), place), ahead]), 2.0)


def mirrored_patch(patch: Patch) -> Patch:
    """The same on the other half of her."""
    points = np.array(patch.points).reshape(-1, 3) * np.array([-1.0, 1.0, 1.0])
    return patch.model_copy(update={"points": flattened(points)})


def mirrored_line(line: SpatialLine) -> SpatialLine:
    """The same on the other half of her."""
    return line.model_copy(update={"points": tuple((-x, y, z) for x, y, z in line.points)})


def flattened(points: Array) -> tuple[float, ...]:
    """Points (m, 3) after each other, to a tenth of a millimetre."""
    return _rounded(points.ravel(), 1)


def _rounded(values: Array, places: int) -> tuple[float, ...]:
    return tuple(np.round(values, places).tolist())


def spatial(points: Array) -> tuple[Spatial, ...]:
    """Points (m, 3) to a tenth of a millimetre."""
    return tuple((x, y, z) for x, y, z in np.round(points, 1).tolist())
