"""Scraps of cloth as they are: read from points or a photo, and what is left of a cloth after cutting (model, 11)."""

import math
from collections.abc import Iterable, Sequence

import numpy as np
from shapely import affinity, set_precision
from shapely.geometry import Polygon
from shapely.ops import unary_union
from shapely.validation import explain_validity

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.fitting.photo_gap import check_scale, to_flat
from fuseau.craft.layout.no_fit import several
from fuseau.craft.pattern.trueing import Point

_LEAST_MM2 = 400.0  # nothing is cut from less
_STEP_MM = 0.1
LEAST_FLAW_MM2 = 1.0


def outline_fault(points: Sequence[Point], least_mm2: float = _LEAST_MM2) -> Message | None:
    """What is wrong with an outline that was drawn or typed; None where nothing is."""
    if len(points) < 3:
        return message("outline.short")
    shape = Polygon(points)
    if not shape.is_valid:
        place = explain_validity(shape).partition("[")[2].rstrip("]").split()
        if len(place) != 2:
            return message("outline.crosses")
        return message("outline.crosses_near", x_mm=float(place[0]), y_mm=float(place[1]))
    if shape.area < least_mm2:
        return message("outline.small")
    return None


def outline_from_photo(
    scale: Sequence[Point],
    known_mm: tuple[float | None, float | None],
    outline: Sequence[Point],
    grain: Sequence[Point],
    flaws: Sequence[Sequence[Point]] = (),
) -> tuple[tuple[Point, ...], tuple[tuple[Point, ...], ...]]:
    """An outline on a photo (pixels, from its top left) as millimetres on the cloth, its grain along x; and its flaws.

    `scale` is two points so far apart, or the corners of a rectangle of that width and height; `grain` two points, the
    second toward the top of what is cut, as far as the cloth has one. The outline lies with its least x and y at zero.
    Raises Unmakeable at `scale`, `known_mm`, `known_high_mm`, `outline`, `grain` or `flaws.<n>`.
    """
    check_scale(scale, *known_mm)
    if len(outline) < 3:
        raise Unmakeable("outline", "scrap.three_points")
    if len(grain) != 2 or math.dist(*grain) < 4:
        raise Unmakeable("grain", "scrap.which_grain")
    flat = to_flat(np.array(scale, dtype=float), np.array([known_mm[0] or 0.0, known_mm[1] or 0.0]))
    start, end = flat(np.array(grain, dtype=float))
    turn = -math.atan2(end[1] - start[1], end[0] - start[0])
    c, s = math.cos(turn), math.sin(turn)

    def turned(points: Sequence[Point]) -> list[Point]:
        mapped = flat(np.array(points, dtype=float))
        return [(float(x * c - y * s), float(x * s + y * c)) for x, y in mapped]

    edge = turned(outline)
    if fault := outline_fault(edge):
        raise Unmakeable("outline", fault.code, **fault.given)
    left, low = min(x for x, _ in edge), min(y for _, y in edge)

    def moved(points: Sequence[Point]) -> tuple[Point, ...]:
        return tuple((round(x - left, 1), round(y - low, 1)) for x, y in points)

    holes = []
    for i, flaw in enumerate(flaws):
        hole = turned(flaw) if len(flaw) > 2 else []
        if fault := outline_fault(hole, LEAST_FLAW_MM2):
            raise Unmakeable(f"flaws.{i}", fault.code, **fault.given)
        holes.append(moved(hole))
    return moved(edge), tuple(holes)


def rests_of(
    outline: Sequence[Point],
    flaws: Sequence[Sequence[Point]],
    pieces: Iterable[Sequence[Point]],
    practice: Practice,
) -> tuple[tuple[Point, ...], ...]:
    """What is left of a cloth when pieces are cut from it, as outlines that are worth keeping, the largest first.

    A rest is worth keeping when a circle of `scrap_least_mm` lies in it; what is narrower than half of that is cut off
    it, and is waste with all the rest.
    """
    cut = unary_union([Polygon(piece).buffer(0) for piece in (*pieces, *flaws)])
    thin = practice.scrap_least_mm / 4
    whole = Polygon(outline).difference(cut)
    left = whole.buffer(-thin, join_style="mitre").buffer(thin, join_style="mitre").intersection(whole)
    found = []
    for part in several(left).geoms:
        if part.area < _LEAST_MM2:
            continue
        if not part.buffer(-practice.scrap_least_mm / 2).is_empty:
            found += _without_holes(part)
    # told to 0.1 mm by a rounding that keeps outlines whole: where a neck closes, the rest is two
    plain = [shape for one in found for shape in several(set_precision(one.simplify(_STEP_MM), 0.1)).geoms]
    ordered = sorted((shape for shape in plain if shape.area >= _LEAST_MM2), key=lambda shape: -shape.area)
    return tuple(tuple((round(x, 1), round(y, 1)) for x, y in shape.exterior.coords[:-1]) for shape in ordered)


def _without_holes(part: Polygon) -> list[Polygon]:
    """A part with holes is cut through at them, along the grain, so that each rest has one outline."""
    if not part.interiors:
        return [part]
    x = Polygon(part.interiors[0]).centroid.x
    low, bottom, high, top = part.bounds
    halves = []
    for left, right in ((low - 1, x), (x, high + 1)):
        band = Polygon([(left, bottom - 1), (right, bottom - 1), (right, top + 1), (left, top + 1)])
        for piece in several(part.intersection(band)).geoms:
            halves += _without_holes(piece)
    return halves


def at_origin(outline: Sequence[Point]) -> tuple[Point, ...]:
    """The same outline with its least x and y at zero."""
    shape = Polygon(outline)
    moved = affinity.translate(shape, -shape.bounds[0], -shape.bounds[1])
    return tuple((round(x, 1), round(y, 1)) for x, y in moved.exterior.coords[:-1])
