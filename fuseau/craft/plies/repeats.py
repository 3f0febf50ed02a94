"""Stripes and motifs: how far they meet across a seam, and what a repeat costs in cloth (model, section 10)."""

from collections.abc import Iterable, Sequence

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.trueing import LaidPanel, Point

_STEP_MM = 2.0
_SMOOTH_MM = 12.0  # a lean over less than this is not seen


class Matched(Record):
    """Between which heights a stripe or motif meets itself across a seam, from the waist; and the seam's ends, mm."""

    seam: str
    low_mm: float
    high_mm: float
    hem_mm: float
    top_mm: float

    @property
    def whole(self) -> bool:
        """Whether it meets all along the seam."""
        return self.low_mm <= self.hem_mm + _STEP_MM and self.high_mm >= self.top_mm - _STEP_MM


class RepeatPlan(Record):
    """What a repeat asks of a ply: where it meets across its seams, and how much each piece costs more, mm."""

    along_mm: float
    across_mm: float
    seams: tuple[Matched, ...]


def matches(panels: Sequence[LaidPanel], over: Sequence[int], practice: Practice) -> tuple[Matched, ...]:
    """Every seam between panels of a ply: as far from the waist up and down as both its edges lean alike.

    What runs across meets itself again where both edges have climbed as far for the same length of seam; beyond
    `grain_leans_deg` between their leans it breaks.
    """
    found = []
    for panel, other in zip(panels, panels[1:], strict=False):
        if panel.number not in over or other.number not in over:
            continue
        heights, cf_side = _lean(panel.cb_edge)
        others, cb_side = _lean(other.cf_edge)
        low, high = max(heights[0], others[0]), min(heights[-1], others[-1])
        at = np.arange(low, high + _STEP_MM / 2, _STEP_MM)
        apart = np.abs(np.interp(at, heights, cf_side) - np.interp(at, others, cb_side))
        alike = [bool(one) for one in apart <= practice.grain_leans_deg]
        start = int(np.argmin(np.abs(at)))
        up = _run(alike[start:])
        down = _run(alike[start::-1])
        found.append(
            Matched(
                seam=seam_label(panel.number),
                low_mm=float(at[start - down]) if alike[start] else float(at[start]),
                high_mm=float(at[start + up]) if alike[start] else float(at[start]),
                hem_mm=float(low),
                top_mm=float(high),
            )
        )
    return tuple(found)


def _run(alike: Sequence[bool]) -> int:
    """How many steps on it stays alike."""
    return max(0, next((k for k, one in enumerate(alike) if not one), len(alike)) - 1)


def _lean(edge: Sequence[Point]) -> tuple[Array, Array]:
    """Heights along an edge, rising, and by how many degrees it leans there, whichever way."""
    points = np.array(sorted(edge, key=lambda point: point[1]), dtype=float)
    heights, first = np.unique(points[:, 1], return_index=True)
    x = points[first, 0]
    at = np.arange(heights[0], heights[-1] + _STEP_MM / 2, _STEP_MM)
    over = np.interp(at + _SMOOTH_MM / 2, heights, x) - np.interp(at - _SMOOTH_MM / 2, heights, x)
    span = np.clip(at + _SMOOTH_MM / 2, heights[0], heights[-1]) - np.clip(at - _SMOOTH_MM / 2, heights[0], heights[-1])
    return at, np.abs(np.degrees(np.arctan2(over, np.maximum(span, 1e-6))))


def repeat_cloth(
    pieces: Iterable[tuple[float, float, int]], along_mm: float, across_mm: float, wide_mm: float
) -> float:
    """How much of a cloth's length repeats cost: each piece may have to move by one, along and across, mm.

    `pieces` are width, height and count of what is matched or has a motif in its middle.

    >>> repeat_cloth([(120, 300, 4)], 160, 0, 1400) == 4 * 120 * 160 / 1400
    True
    """
    more = sum(count * ((wide + across_mm) * (high + along_mm) - wide * high) for wide, high, count in pieces)
    return more / wide_mm
