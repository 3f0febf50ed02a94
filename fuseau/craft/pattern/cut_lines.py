"""Cut lines: stitch lines moved outward by the allowance of each edge, corners mitred (model, section 11)."""

import math

import numpy as np
import shapely
from shapely.geometry import LineString, Point, Polygon

from fuseau.craft.base.curves import Array
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.pattern import Allowances
from fuseau.craft.pattern.trueing import LaidPanel
from fuseau.craft.pattern.trueing import Point as PlaceRound

_REACH_MM = 400.0


class CutPanel(Record):
    """A panel's closed cut line, (x, z) in mm in the panel's frame."""

    number: int
    cut_line: tuple[PlaceRound, ...]


def cut_line(panel: LaidPanel, panels: int, allowances: Allowances, last_number: int | None = None) -> CutPanel:
    """The cut line of a panel: its edges offset by their allowances and extended until they meet.

    Panel 1 takes the CF allowance on its CF edge, the last the CB allowance on its CB edge. A piece of several
    joined panels is a panel whose last one is `last_number`.
    """
    last = last_number or panel.number
    cf = allowances.cf_mm if panel.number == 1 else allowances.of_seam(panel.number - 1)
    cb = allowances.cb_mm if last == panels else allowances.of_seam(last)
    sides = (
        (np.array(panel.cf_edge), cf),
        (np.array(panel.top), allowances.top_mm),
        (np.array(panel.cb_edge)[::-1], cb),
        (np.array(panel.hem)[::-1], allowances.hem_mm),
    )
    moved = [_offset(points, by) for points, by in sides]
    corners = [_meeting(moved[i - 1], moved[i], sides[i][0][0]) for i in range(4)]
    line: list[PlaceRound] = []
    for i, points in enumerate(moved):
        line.append(corners[i])
        line += _between(points, corners[i], corners[(i + 1) % 4])
    return CutPanel(number=panel.number, cut_line=simple(tuple(line)))


def simple(outline: tuple[PlaceRound, ...]) -> tuple[PlaceRound, ...]:
    """A closed line that crosses itself nowhere: where it does, as inside a hollow curve moved far out, its outer way.

    What it goes round is kept, whichever way; of several parts the largest.

    >>> len(simple(((0, 0), (4, 4), (4, 0), (0, 4))))
    3
    """
    if Polygon(outline).is_valid:
        return outline
    around = np.array([*outline, outline[0]])
    faces = shapely.polygonize([shapely.node(LineString(around))]).geoms
    kept = [face for face in faces if _turns(around, face.representative_point())]
    whole = shapely.union_all(kept)
    parts = sorted(getattr(whole, "geoms", [whole]), key=lambda part: -part.area)
    return tuple((float(x), float(z)) for x, z in parts[0].exterior.coords[:-1])


def _turns(around: Array, place: Point) -> int:
    """How often a closed line goes round a place."""
    beside = around - np.array([place.x, place.y])
    angles = np.unwrap(np.arctan2(beside[:, 1], beside[:, 0]))
    return round(float(angles[-1] - angles[0]) / (2 * math.pi))


def _offset(points: Array, by: float) -> Array:
    """Points moved to the left of the way they run (outward, clockwise) by `by` mm."""
    along = np.gradient(points, axis=0)
    along /= np.hypot(along[:, 0], along[:, 1])[:, None]
    return points + by * np.column_stack([-along[:, 1], along[:, 0]])


def _lengthened(points: Array) -> LineString:
    first, last = points[0] - points[1], points[-1] - points[-2]
    start = points[0] + first / math.hypot(*first) * _REACH_MM
    end = points[-1] + last / math.hypot(*last) * _REACH_MM
    return LineString([start, *points, end])


def _meeting(array: Array, other: Array, corner: Array) -> PlaceRound:
    """Where two offset edges, lengthened, meet nearest to the stitched corner."""
    met = _lengthened(array).intersection(_lengthened(other))
    spots = [Point(spot.coords[0]) for spot in getattr(met, "geoms", [met]) if not spot.is_empty]
    if not spots:
        return float(array[-1][0]), float(array[-1][1])
    nearest = min(spots, key=lambda spot: spot.distance(Point(corner)))
    return float(nearest.x), float(nearest.y)


def _between(points: Array, start: PlaceRound, end: PlaceRound) -> list[PlaceRound]:
    """The inner points of an offset edge that lie between its two corners."""
    line = LineString(points)
    low, high = sorted((line.project(Point(start)), line.project(Point(end))))
    along = shapely.line_locate_point(line, shapely.points(points))
    inner: list[PlaceRound] = [(x, z) for x, z in points[(low + 0.2 < along) & (along < high - 0.2)].tolist()]
    return inner


def cut_piece(outline: tuple[PlaceRound, ...], by_mm: float) -> tuple[PlaceRound, ...]:
    """The cut line of a piece with the same allowance all round, corners mitred; closed, in its own frame, mm."""
    grown = Polygon(outline).buffer(by_mm, join_style="mitre", mitre_limit=3)
    return tuple((float(x), float(z)) for x, z in grown.exterior.coords[:-1])
