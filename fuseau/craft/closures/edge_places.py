"""Where marks lie beside an edge of a panel: as far from the fold at every height, however the edge runs."""

from collections.abc import Sequence

import numpy as np
from shapely import geometry

from fuseau.craft.base.curves import carried_on, parallel
from fuseau.craft.pattern.trueing import Point

_BEYOND_MM = 60.0


def beside_edge(
    edge: Sequence[Point], heights_mm: Sequence[float], inside_mm: float, *, at_cf: bool
) -> tuple[Point, ...]:
    """Points at heights, each `inside_mm` from the fold along CF or CB, square to it, in the panel's own frame.

    `edge` runs from hem to top line. Near its ends it is carried on straight.

    >>> leaning = ((0.0, -100.0), (20.0, 100.0))
    >>> [(round(x, 2), z) for x, z in beside_edge(leaning, (50.0, -50.0), 12.0, at_cf=True)]
    [(27.06, 50.0), (17.06, -50.0)]
    """
    path = carried_on(parallel(np.array(edge), inside_mm if at_cf else -inside_mm), _BEYOND_MM)
    return tuple((float(np.interp(z, path[:, 1], path[:, 0])), float(z)) for z in heights_mm)


def along_fold(edge: Sequence[Point], points: Sequence[Point]) -> tuple[float, ...]:
    """How far up the fold each point lies, from where the fold crosses the waist, mm: what a strip laid on it shows.

    >>> along_fold(((0.0, -100.0), (0.0, 100.0)), ((12.0, 45.0), (12.0, -30.0)))
    (45.0, -30.0)
    """
    fold, heights = geometry.LineString(edge), [z for _, z in edge]
    waist = min(max(0.0, heights[0]), heights[-1])
    across = float(np.interp(waist, heights, [x for x, _ in edge]))
    zero = fold.project(geometry.Point(across, waist)) - waist
    return tuple(float(fold.project(geometry.Point(point)) - zero) for point in points)
