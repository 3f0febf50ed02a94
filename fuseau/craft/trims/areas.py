"""Areas of the flat garment that are free for work on them, and what motifs fit there (model, section 15)."""

from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
import shapely
from shapely.geometry import LineString, Polygon
from shapely.geometry import Point as Place
from shapely.geometry.base import BaseGeometry
from shapely.ops import unary_union

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.materials.minutes import Work
from fuseau.craft.pattern.trueing import LaidPanel, Point
from fuseau.craft.trims.choices import Area

_CELL_MM = 2.0
_LEAST_CM2 = 0.5
_THREAD_PER_PIECE_MM = 18.0
_THREAD_MM_PER_CM2 = {"light embroidery": 350.0, "dense embroidery": 900.0}


@dataclass(frozen=True)
class Hardware:
    """What lies on a panel and can't be sewn through: channels with how wide they are, holes with their radius, mm."""

    channels: tuple[tuple[tuple[Point, ...], float], ...] = ()
    holes: tuple[tuple[Point, float], ...] = ()
    bands: tuple[tuple[tuple[Point, ...], float], ...] = ()


class FreeArea(Record):
    """A free part of a panel: its outline, size, and the box that it fills."""

    panel: int
    outline: tuple[tuple[float, float], ...]
    cm2: float
    wide_mm: float
    high_mm: float


class PanelRoom(Record):
    """A panel: all of it, what seams and hardware take, and what is free; whether a motif fits, and where."""

    panel: int
    whole_cm2: float
    taken_cm2: float
    free_cm2: float
    areas: tuple[FreeArea, ...]
    widest_mm: float


class AreaLaid(Record):
    """Something over an area: how many square centimetres it covers, pieces, thread, grams, minutes; of all halves.

    `fits` are the panels on which a motif has room, `places` where; `short` by so many pieces.
    """

    cm2: float
    halves: int
    count: int | None = None
    thread_mm: float = 0.0
    grams: float = 0.0
    price: float = 0.0
    works: tuple[tuple[Work, float], ...] = ()
    fits: tuple[int, ...] = ()
    places: tuple[tuple[int, tuple[float, float]], ...] = ()
    short: float = 0.0
    outline: tuple[tuple[int, tuple[tuple[float, float], ...]], ...] = ()


def panel_room(panel: LaidPanel, hardware: Hardware, seam_mm: float) -> tuple[PanelRoom, BaseGeometry]:
    """What is free on a panel: its stitch-line shape less `seam_mm` at every edge, channels, holes and bands.

    Free, taken and whole are areas of the same shape: free + taken = whole. What was asked last is kept.
    """
    return _room(panel.number, panel.outline, hardware, seam_mm)


@lru_cache(maxsize=64)
def _room(
    number: int, outline: tuple[Point, ...], hardware: Hardware, seam_mm: float
) -> tuple[PanelRoom, BaseGeometry]:
    shape = Polygon(outline)
    if not shape.is_valid:
        shape = shape.buffer(0)
    taken = unary_union(
        [
            *(LineString(path).buffer(wide / 2, cap_style="flat") for path, wide in hardware.channels if len(path) > 1),
            *(Place(at).buffer(radius) for at, radius in hardware.holes),
            *(LineString(path).buffer(wide / 2, cap_style="flat") for path, wide in hardware.bands if len(path) > 1),
        ]
    )
    free = shape.buffer(-seam_mm).difference(taken)
    parts = [part for part in getattr(free, "geoms", [free]) if part.area / 100 >= _LEAST_CM2]
    areas = []
    for part in sorted(parts, key=lambda part: part.centroid.x):
        left, low, right, high = part.bounds
        areas.append(
            FreeArea(
                panel=number,
                outline=tuple((round(x, 1), round(z, 1)) for x, z in part.simplify(0.3).exterior.coords[:-1]),
                cm2=part.area / 100,
                wide_mm=right - left,
                high_mm=high - low,
            )
        )
    whole, free_cm2 = shape.area / 100, sum(part.area for part in parts) / 100
    room = PanelRoom(
        panel=number,
        whole_cm2=whole,
        taken_cm2=whole - free_cm2,
        free_cm2=free_cm2,
        areas=tuple(areas),
        widest_mm=widest_square(parts),
    )
    return room, unary_union(parts)


def _raster(shape: BaseGeometry) -> tuple[np.ndarray, float, float] | None:
    """Cells of 2 mm that lie wholly inside, as an array of rows from the bottom, with the corner it begins at."""
    return None if shape.is_empty else _cells(shape.wkb)


@lru_cache(maxsize=64)
def _cells(wkb: bytes) -> tuple[np.ndarray, float, float]:
    shape = shapely.from_wkb(wkb)
    left, low, right, high = shape.bounds
    xs = np.arange(left, right, _CELL_MM) + _CELL_MM / 2
    zs = np.arange(low, high, _CELL_MM) + _CELL_MM / 2
    inner = shape.buffer(1e-6 - _CELL_MM / 2)
    grid = shapely.contains_xy(inner, *np.meshgrid(xs, zs))
    return grid, left, low


def place_of(shape: BaseGeometry, wide_mm: float, high_mm: float) -> tuple[float, float] | None:
    """The middle of a place for an upright box, nearest to the middle of the shape; None where there is none.

    On a raster of 2 mm, by an integral image: what it finds fits; a place with less than that to spare may be missed.
    """
    return None if shape.is_empty else _place(shape.wkb, wide_mm, high_mm)


@lru_cache(maxsize=256)
def _place(wkb: bytes, wide_mm: float, high_mm: float) -> tuple[float, float] | None:
    grid, left, low = _cells(wkb)
    wide, high = max(1, round(wide_mm / _CELL_MM)), max(1, round(high_mm / _CELL_MM))
    if wide > grid.shape[1] or high > grid.shape[0]:
        return None
    sums = np.pad(np.cumsum(np.cumsum(grid.astype(np.int32), axis=0), axis=1), ((1, 0), (1, 0)))
    boxes = sums[high:, wide:] - sums[:-high, wide:] - sums[high:, :-wide] + sums[:-high, :-wide]
    rows, columns = np.nonzero(boxes == wide * high)
    if not len(rows):
        return None
    xs, zs = left + (columns + wide / 2) * _CELL_MM, low + (rows + high / 2) * _CELL_MM
    middle = shapely.from_wkb(wkb).centroid
    best = int(np.argmin((xs - middle.x) ** 2 + (zs - middle.y) ** 2))
    return float(xs[best]), float(zs[best])


def widest_square(parts: Sequence[BaseGeometry]) -> float:
    """The side of the largest upright square that fits into one of the parts, to 2 mm."""
    best = 0
    for part in parts:
        found = _raster(part)
        if found is None:
            continue
        grid = found[0]
        side = np.zeros(grid.shape[1] + 1, dtype=int)
        for row in grid:
            fresh = np.zeros_like(side)
            for j in np.nonzero(row)[0]:
                fresh[j + 1] = 1 + min(side[j], side[j + 1], fresh[j])
            side = fresh
            best = max(best, int(side.max()))
    return best * _CELL_MM


@lru_cache(maxsize=256)
def _outlines(wkb: bytes) -> tuple[tuple[tuple[float, float], ...], ...]:
    """The outlines of a shape's parts, as they are drawn."""
    shape = shapely.from_wkb(wkb)
    return tuple(
        tuple((round(x, 1), round(z, 1)) for x, z in part.simplify(0.3).exterior.coords[:-1])
        for part in getattr(shape, "geoms", [shape])
        if part.geom_type == "Polygon"
    )


def lay_area(
    area: Area,
    panels: Sequence[LaidPanel],
    rooms: Sequence[tuple[PanelRoom, BaseGeometry]],
    at: str,
    others: Sequence[tuple[PanelRoom, BaseGeometry]] = (),
) -> AreaLaid:
    """Something over an area of a half; `others` is what is free on the other one, where that is cut otherwise.

    Raises Unmakeable at a field below `at` where it is not on the garment."""
    numbers = {panel.number: i for i, panel in enumerate(panels)}
    chosen = area.panels or tuple(numbers)
    if area.spots:
        chosen = (area.spots[0].panel,)
    for i, number in enumerate(chosen):
        if number not in numbers:
            raise Unmakeable(f"{at}.panels.{i}" if area.panels else f"{at}.spots", "trim.no_panel", panel=float(number))
    shapes = _chosen(area, rooms, chosen, at)
    halves = 2 if area.half == "both" else 1
    free = sum(shape.area for shape in shapes.values())
    if area.half == "both":
        free += sum(shape.area for shape in _chosen(area, others, chosen, at).values()) if others else free
    cm2 = free / 100
    outline = tuple(
        (number, line) for number, shape in shapes.items() if not shape.is_empty for line in _outlines(shape.wkb)
    )
    if area.how == "motif":
        return _motifs(area, shapes, halves, outline)
    count, thread, amount = None, 0.0, cm2
    works: tuple[tuple[Work, float], ...] = ()
    if area.how == "pieces":
        count = round(cm2 * area.per_cm2)
        amount, thread = float(count), count * _THREAD_PER_PIECE_MM
        works = (("bead by itself", float(count)),)
    elif area.how != "paint":
        thread = cm2 * _THREAD_MM_PER_CM2[area.how]
        works = ((area.how, cm2 / 10),)
    short = 0.0 if area.at_hand is None else max(0.0, amount - area.at_hand)
    return AreaLaid(
        cm2=cm2,
        halves=halves,
        count=count,
        thread_mm=thread,
        grams=amount * area.grams,
        price=amount * area.price,
        works=works,
        short=short,
        outline=outline,
    )


def _chosen(
    area: Area, rooms: Sequence[tuple[PanelRoom, BaseGeometry]], chosen: Sequence[int], at: str
) -> dict[int, BaseGeometry]:
    """What is free on the chosen panels of a half, of it what was drawn."""
    free = {room.panel: shape for room, shape in rooms}
    shapes = {number: free[number] for number in chosen if number in free}
    if area.spots:
        drawn = Polygon([(spot.x_mm, spot.z_mm) for spot in area.spots])
        if not drawn.is_valid or drawn.is_empty:
            raise Unmakeable(f"{at}.spots", "trim.crosses_itself")
        shapes = {number: shape.intersection(drawn) for number, shape in shapes.items()}
        if all(shape.is_empty for shape in shapes.values()):
            raise Unmakeable(f"{at}.spots", "trim.no_room", panel=float(chosen[0]))
    return shapes


def _motifs(
    area: Area,
    shapes: dict[int, BaseGeometry],
    halves: int,
    outline: tuple[tuple[int, tuple[tuple[float, float], ...]], ...],
) -> AreaLaid:
    places = {number: place_of(shape, area.wide_mm, area.high_mm) for number, shape in shapes.items()}
    found = tuple((number, place) for number, place in places.items() if place is not None)
    count = area.count
    short = 0.0 if area.at_hand is None else max(0.0, count - area.at_hand)
    around = 2 * (area.wide_mm + area.high_mm)
    return AreaLaid(
        cm2=count * area.wide_mm * area.high_mm / 100,
        halves=halves,
        count=count,
        thread_mm=2.0 * around * count,
        grams=count * area.grams,
        price=count * area.price,
        works=(("lace motif", float(count)),),
        fits=tuple(number for number, _ in found),
        places=found,
        short=short,
        outline=outline,
    )
