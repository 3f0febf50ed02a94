"""How she stands on a picture: at which scale, and where, from what is marked across it (model, section 17)."""

import math

import numpy as np

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.wearer.silhouette import seen_width
from fuseau.craft.worn.figure import Figure
from fuseau.craft.worn.pose import Pose
from fuseau.document.build import Picture
from fuseau.planning.pictures.across import across_of, usable

_AXIS_SHARE = 0.1  # of the waist: a closure so near its middle is CF


def pose_on(picture: Picture, figure: Figure) -> Pose:
    """How she stands on a picture: its scale brings her worn widths nearest to the marked ones, by least squares.

    Raises Unmakeable at `mark` where the waist is not marked across.
    """
    widths = usable(across_of(picture))[0]
    if "waist" not in widths:
        raise Unmakeable("mark", "lines.no_waist")
    logs, sure = [], []
    for name, one in widths.items():
        if name != "shoulders" and name in figure.body:
            ring = figure.over.at(np.array([figure.body[name].side_mm]))
            deep = (ring.front_mm + ring.back_mm) / 2
            wide = seen_width(ring.half_mm, ring.half_mm / deep, picture.turned_deg)
            logs.append(math.log(float(wide[0]) / one.width))
            sure.append(1 / one.spread**2)
    if not logs:
        raise Unmakeable("mark", "lines.no_waist")
    waist = widths["waist"]
    closures = [x for mark in picture.marks if mark.kind == "closure" for x, _ in mark.points]
    axis = waist.middle
    if closures and not picture.turned_deg and abs(float(np.mean(closures)) - axis) < _AXIS_SHARE * waist.width:
        axis = float(np.mean(closures))
    return Pose(
        turn_deg=picture.turned_deg,
        mm=math.exp(float(np.average(logs, weights=sure))),
        axis=axis,
        waist=waist.down * picture.height_px / picture.width_px,
    )
