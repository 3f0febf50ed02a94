"""An overlay in one piece over shaped panels: how far it would have to give (model, section 10).

The panels lie edge to edge, closed at the waist. Where neighbours then gape, cloth in one piece is too wide by as much;
where they overlap, too narrow. Over what lies between the channels that hold it, that is the strain it needs.
"""

from collections.abc import Mapping, Sequence

import numpy as np

from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.materials.cloths import Cloth, Grain
from fuseau.craft.pattern.trueing import LaidPanel

_STEPS = 41


class SeamStrain(Record):
    """What an overlay needs over a seam: by how much the panels gape (+) or overlap (−) at the worst height, over what
    width, and that as a share.
    """

    seam: str
    z_mm: float
    opening_mm: float
    over_mm: float
    share: float


class OverlayPlan(Record):
    """How an overlay in one piece lies: every seam it crosses, and what it gives round the body, as a share.

    `lies`: smooth, with the ease that an iron shapes in, or with puckers.
    """

    seams: tuple[SeamStrain, ...]
    gives: float
    lies: str


def strain(opening_mm: float, over_mm: float) -> float:
    """The share that cloth has to give where panels gape or overlap by so much over a width.

    >>> round(strain(11, 150), 3)
    0.073
    """
    return abs(opening_mm) / over_mm


def lies(needed: float, gives: float, practice: Practice) -> str:
    """How an overlay lies that has to give so much."""
    if needed <= gives:
        return "smooth"
    return "eased" if needed <= gives + practice.iron_ease_share else "puckers"


def overlay(
    panels: Sequence[LaidPanel],
    over: Sequence[int],
    held: Mapping[int, Sequence[float]],
    cloth: Cloth,
    grain: Grain,
    practice: Practice,
) -> OverlayPlan:
    """The strain over every seam between neighbouring panels of `over` (numbers, rising).

    `held`: for each panel the shares of its width at which channels hold the overlay; its seams hold it only where a
    channel lies on them, which is no help: there it is that has to give.
    """
    by_number = {panel.number: panel for panel in panels}
    found = []
    for left, right in zip(over, over[1:], strict=False):
        if right != left + 1:
            continue
        one, other = by_number[left], by_number[right]
        z, opening = gaping(one, other)
        over_mm = _reach(one, z, held.get(left, ()), last=True) + _reach(other, z, held.get(right, ()), last=False)
        shares = np.abs(opening) / np.maximum(over_mm, 1.0)
        k = int(np.argmax(shares))
        found.append(
            SeamStrain(
                seam=f"{left}·{right}",
                z_mm=float(z[k]),
                opening_mm=float(opening[k]),
                over_mm=float(over_mm[k]),
                share=float(shares[k]),
            )
        )
    gives = cloth.gives(grain)
    worst = max((one.share for one in found), default=0.0)
    return OverlayPlan(seams=tuple(found), gives=gives, lies=lies(worst, gives, practice))


def gaping(panel: LaidPanel, other: LaidPanel) -> tuple[np.ndarray, np.ndarray]:
    """Heights (n,) and by how much two neighbours gape there (+) or overlap (−), mm, closed at the waist."""
    edge, met = np.array(panel.cb_edge), np.array(other.cf_edge)
    z = np.linspace(max(edge[0, 1], met[0, 1]), min(edge[-1, 1], met[-1, 1]), _STEPS)
    right = np.interp(z, edge[:, 1], edge[:, 0]) - np.interp(0.0, edge[:, 1], edge[:, 0])
    left = np.interp(z, met[:, 1], met[:, 0]) - np.interp(0.0, met[:, 1], met[:, 0])
    return z, left - right


def _reach(panel: LaidPanel, z: np.ndarray, held: Sequence[float], *, last: bool) -> np.ndarray:
    """From the seam to the nearest channel that holds the overlay, or to the panel's other edge, by height, mm."""
    cf, cb = np.array(panel.cf_edge), np.array(panel.cb_edge)
    width = np.interp(z, cb[:, 1], cb[:, 0]) - np.interp(z, cf[:, 1], cf[:, 0])
    if not held:
        return np.asarray(width)
    return np.asarray(width * ((1 - max(held)) if last else min(held)))
