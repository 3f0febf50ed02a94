"""Shoulder pieces of a neck corset: what lies over the shoulders from its hem outward, as flat ring sectors.

Over the shoulders the girth grows evenly with the way out, as on a cone, and a cone is laid flat as a sector of a
ring: inner arc = the collar's hem, outer arc = the girth at its outer edge.
"""

import math

import numpy as np

from fuseau.craft.base.curves import lengths_along
from fuseau.craft.pattern.trueing import Laid, LaidPiece, Point
from fuseau.craft.wearer.body import Body

_FLATTEST = 0.97 * math.pi  # of one half: more would overlap itself


def lay_shoulders(laid: Laid, front_panels: int, body: Body, width_mm: float) -> tuple[LaidPiece, ...]:
    """Front and back shoulder piece of one half, `width_mm` wide, sewn to the collar's hem and at the shoulder."""
    base, bone = body["neck_base"], body["collarbone"]
    growth = max(0.2, (bone.girth_mm - base.girth_mm) / max(-bone.side_mm, 10) / 2)  # mm of half girth per mm outward
    hems = [float(lengths_along(*np.array(panel.hem).T)[-1]) for panel in laid.panels]
    whole = sum(hems)
    angle = min(growth, _FLATTEST)
    found = []
    for name, along in (("front", sum(hems[:front_panels])), ("back", sum(hems[front_panels:]))):
        spread = angle * along / whole
        inner = along / spread
        outer = (inner + width_mm) * spread
        arc = np.linspace(-spread / 2, spread / 2, 41)
        rings = [np.column_stack([r * np.sin(arc), -r * np.cos(arc)]) for r in (inner, inner + width_mm)]
        points: tuple[Point, ...] = tuple(
            (round(float(x), 3), round(float(z) + inner, 3)) for x, z in np.vstack([rings[0], rings[1][::-1]])
        )
        found.append(
            LaidPiece(
                name=f"shoulder piece, {name}",
                outline=points,
                note=f"inner edge to the hem of the {name} panels, one end to the shoulder seam",
                edges_mm={"inner edge": along, "outer edge": outer, "shoulder seam": width_mm},
                sewn_to_mm={"hem of the collar": along},
            )
        )
    return tuple(found)
