"""No-fit polygons: where a piece may lie so that it is clear of another, or inside a sheet (model, section 11).

Exact for the outlines that are given, whatever their shape: the places where two outlines cross are the Minkowski sum
of one with the other turned about its origin; what that sum encloses is held against the shapes themselves. See Burke
and others, "Complete and robust no-fit polygon generation for the irregular stock cutting problem", 2007.
"""

from collections.abc import Sequence

import pyclipper  # type: ignore[import-untyped]
from shapely import get_coordinates
from shapely.affinity import translate
from shapely.geometry import MultiPolygon, Polygon
from shapely.geometry.base import BaseGeometry
from shapely.ops import unary_union

_UNITS = 1000  # Clipper counts in whole numbers: micrometres
_TOUCH_MM2 = 1e-3


def no_fit(fixed: Polygon, piece: Polygon) -> MultiPolygon:
    """Where the origin of a piece can't be, since it would lie over what is fixed. Holes are where it lies in a gap.

    >>> box = Polygon([(0, 0), (10, 0), (10, 10), (0, 10)])
    >>> no_fit(box, Polygon([(0, 0), (2, 0), (2, 3), (0, 3)])).bounds
    (-2.0, -3.0, 10.0, 10.0)
    """
    outers, holes = _crossing(fixed, piece)
    genuine = [hole for hole in holes if _lying(piece, hole).intersection(fixed).area < _TOUCH_MM2]
    return several(unary_union(outers).difference(unary_union(genuine)) if outers else Polygon())


def inner_fit(sheet: Polygon, piece: Polygon) -> MultiPolygon:
    """Where the origin of a piece has to be so that it lies inside a sheet without holes; empty where it lies nowhere.

    >>> box = Polygon([(0, 0), (10, 0), (10, 10), (0, 10)])
    >>> inner_fit(box, Polygon([(0, 0), (2, 0), (2, 3), (0, 3)])).bounds
    (0.0, 0.0, 8.0, 7.0)
    """
    low, high = sheet.bounds[:2], sheet.bounds[2:]
    least, most = piece.bounds[:2], piece.bounds[2:]
    if any(most[k] - least[k] > high[k] - low[k] for k in (0, 1)):
        return MultiPolygon()
    _, holes = _crossing(sheet, piece)
    return several(unary_union([hole for hole in holes if sheet.contains(_lying(piece, hole).centroid)]))


def _crossing(fixed: Polygon, piece: Polygon) -> tuple[list[Polygon], list[Polygon]]:
    """Where both outlines cross: what is enclosed from outside, and the holes in it."""
    turned = [(-round(x * _UNITS), -round(y * _UNITS)) for x, y in _ring(piece)]
    path = [(round(x * _UNITS), round(y * _UNITS)) for x, y in _ring(fixed)]
    outers: list[Polygon] = []
    holes: list[Polygon] = []
    for ring in pyclipper.MinkowskiSum(turned, path, True):
        if len(ring) < 3:
            continue
        shape = several(Polygon([(x / _UNITS, y / _UNITS) for x, y in ring]).buffer(0))
        (outers if pyclipper.Orientation(ring) else holes).extend(shape.geoms)
    return outers, holes


def _ring(shape: Polygon) -> Sequence[tuple[float, float]]:
    return [(float(x), float(y)) for x, y in get_coordinates(shape.exterior)[:-1]]


def _lying(piece: Polygon, hole: Polygon) -> Polygon:
    at = hole.representative_point()
    return translate(piece, at.x, at.y)


def several(shape: BaseGeometry) -> MultiPolygon:
    """The polygons of a shape, however it came out of an operation: none, one, or several."""
    if isinstance(shape, MultiPolygon):
        return shape
    if isinstance(shape, Polygon):
        return MultiPolygon([] if shape.is_empty else [shape])
    parts = [part for part in getattr(shape, "geoms", ()) if isinstance(part, Polygon)]
    return MultiPolygon(parts)
