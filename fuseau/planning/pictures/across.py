"""Widths marked across a picture: each level with its middle, its height and how sure it is (model, section 17)."""

import math
from collections.abc import Mapping

import numpy as np

from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.wearer.measures import SEEN_LABELS, SeenLevel
from fuseau.document.build import Picture

_LEVELS: Mapping[str, SeenLevel] = {
    "shoulders across": "shoulders",
    "chest across": "high_bust",
    "bust across": "bust",
    "underbust across": "underbust",
    "waist across": "waist",
    "high hip across": "high_hip",
    "hip across": "hip",
}
_END: Mapping[str, float] = {"filmed": 0.003, "drawn": 0.005}  # of the picture's longer side, by how a contour is seen
_AS_SURE_AS = 2  # repeats: how many the usual spread weighs against those that were seen
_LEAST_SHARE = 0.01  # of the picture's width: a narrower line is no width
_BESIDE = 0.3  # of a width: a level so far beside the others was not marked from edge to edge


class AcrossMarked(Record):
    """A level as it is marked: from where to where as shares of the picture's width, how far down, of its height.

    `spread` is that of the width, as a share of it. Marked several times it is their mean, and less in doubt.
    """

    left: float
    right: float
    down: float
    spread: float

    @property
    def width(self) -> float:
        """As a share of the picture's width."""
        return self.right - self.left

    @property
    def middle(self) -> float:
        """As a share of the picture's width."""
        return (self.left + self.right) / 2


def across_of(picture: Picture) -> dict[SeenLevel, AcrossMarked]:
    """Levels marked across a picture.

    The spread of one line is that of its two ends; of several it is pooled with how far they differ:
    s² = (ν₀·σ₀² + Σ(w − w̄)²) ÷ (ν₀ + n − 1), and s ÷ √n that of their mean.
    """
    lines: dict[SeenLevel, list[tuple[float, float, float]]] = {}
    for mark in picture.marks:
        level = _LEVELS.get(mark.kind)
        if level is not None:
            xs, ys = zip(*mark.points, strict=True)
            lines.setdefault(level, []).append((min(xs), max(xs), sum(ys) / len(ys)))
    usual = math.sqrt(2) * _END[picture.made] * max(1.0, picture.height_px / picture.width_px)
    found: dict[SeenLevel, AcrossMarked] = {}
    for level, told in lines.items():
        left, right, down = np.array(told).mean(axis=0)
        widths = np.array([b - a for a, b, _ in told])
        n = len(told)
        pooled = (_AS_SURE_AS * usual**2 + float(np.sum((widths - widths.mean()) ** 2))) / (_AS_SURE_AS + n - 1)
        spread = math.sqrt(pooled / n) / max(float(right - left), _LEAST_SHARE)
        found[level] = AcrossMarked(left=left, right=right, down=down, spread=min(spread, 1.0))
    return found


def usable(
    across: Mapping[SeenLevel, AcrossMarked],
) -> tuple[dict[SeenLevel, AcrossMarked], Message | None, tuple[Message, ...]]:
    """The levels that can be told against each other; why none can; what was left out.

    A line without width, or levels that are marked in another order than a body has them, is a fault. A level that
    lies beside the others was not marked from edge to edge, and is left out.
    """
    for level, one in across.items():
        if one.width < _LEAST_SHARE:
            return {}, message("drawn.thin", level=level), ()
    order = [level for level in SEEN_LABELS if level in across]
    for above, below in zip(order, order[1:], strict=False):
        if across[above].down > across[below].down:
            return {}, message("drawn.crossed", above=above, below=below), ()
    axis = float(np.median([one.middle for one in across.values()])) if across else 0.0
    beside = [level for level, one in across.items() if abs(one.middle - axis) > _BESIDE * one.width]
    left_out = [level for level in beside if level != "waist" or len(beside) == 1]
    kept = {level: one for level, one in across.items() if level not in left_out}
    return kept, None, tuple(message("drawn.one_side", level=level) for level in left_out)
