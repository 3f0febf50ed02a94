"""A trim line marked on a picture of the costume, as places on the flat garment (model, sections 15 and 17)."""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.pattern.trueing import LaidPanel, Point
from fuseau.craft.trims.choices import Spot

_ROUND = 1.35  # width to depth of a body in front view, where nothing is measured of the picture
_STEPS = 400
_BEYOND = 1.12  # of the half width: a mark so far outside the drawn edge is still meant to lie on it
_MOST_SPOTS = 24


def spots_on(
    mark: Sequence[Point],
    top: Sequence[Point],
    hem: Sequence[Point],
    closure: Sequence[Point],
    panels: Sequence[LaidPanel],
    front_panels: int,
) -> tuple[Spot, ...]:
    """Places on the front panels of a half for a line on a picture, from its marks: (x, y) from the top left.

    The top line and the hem are marked from edge to edge: between their ends lies the figure's width, CF on the
    closure or in the middle. How far round the body a point lies follows from asin(x ÷ half width) on an ellipse; how
    high, from its share of the way between both marks. Of a line that crosses CF the longer side is taken.

    Raises Unmakeable at `mark` where the line lies beside the garment, or leaves nothing of it.
    """
    left, right = _ends(top), _ends(hem)
    fronts = [_Edges.of(panel) for panel in panels[:front_panels]]
    middle = float(np.mean([x for x, _ in closure])) if closure else None
    found = []
    for x, y in _one_side(mark, middle if middle is not None else (left[0][0] + left[1][0]) / 2):
        share = _height(x, y, top, hem)
        edge_left = left[0][0] + (right[0][0] - left[0][0]) * share
        edge_right = left[1][0] + (right[1][0] - left[1][0]) * share
        cf = middle if middle is not None else (edge_left + edge_right) / 2
        half = (edge_right - cf) if x >= cf else (cf - edge_left)
        if half <= 0 or abs(x - cf) > _BEYOND * half:
            raise Unmakeable("mark", "trim.beside")
        found.append(_spot(_round_share(min(1.0, abs(x - cf) / half)), share, fronts))
    spots = [one for i, one in enumerate(found) if i == 0 or one != found[i - 1]]
    if len(spots) < 2:
        raise Unmakeable("mark", "trim.beside")
    return tuple(spots)


def _ends(line: Sequence[Point]) -> tuple[Point, Point]:
    return min(line, key=lambda one: one[0]), max(line, key=lambda one: one[0])


def _one_side(mark: Sequence[Point], middle: float) -> list[Point]:
    """The points of the side of CF on which more of the line lies, finely, and where it crosses CF."""
    line = np.array(mark, float)
    run = np.concatenate(([0.0], np.cumsum(np.hypot(*np.diff(line, axis=0).T))))
    at = np.linspace(0, run[-1], _MOST_SPOTS)
    fine = np.column_stack((np.interp(at, run, line[:, 0]), np.interp(at, run, line[:, 1])))
    right = fine[fine[:, 0] >= middle]
    left = fine[fine[:, 0] < middle]
    side = right if len(right) >= len(left) else left
    return [(float(x), float(y)) for x, y in side]


def _height(x: float, y: float, top: Sequence[Point], hem: Sequence[Point]) -> float:
    """The share of the way from the top line's mark down to the hem's, at a place across."""
    high, low = _at(top, x), _at(hem, x)
    return float(np.clip((y - high) / (low - high), 0.0, 1.0)) if low > high else 0.0


def _at(line: Sequence[Point], x: float) -> float:
    points = np.array(sorted(line))
    return float(np.interp(x, points[:, 0], points[:, 1]))


def _round_share(across: float) -> float:
    """The share of the way from CF to the side seam round an ellipse, for a share of its half width.

    >>> round(_round_share(0.0), 3), round(_round_share(1.0), 3), 0.5 < _round_share(0.7) < 0.7
    (0.0, 1.0, True)
    """
    turn = np.linspace(0, np.pi / 2, _STEPS)
    step = np.hypot(np.diff(_ROUND * np.sin(turn)), np.diff(np.cos(turn)))
    run = np.concatenate(([0.0], np.cumsum(step)))
    return float(np.interp(np.arcsin(across), turn, run) / run[-1])


@dataclass(frozen=True)
class _Edges:
    """A panel's edges, (points, 2) in its frame: its sides from the hem up, its top line and hem from CF back; mm."""

    number: int
    cf: Array
    cb: Array
    top: Array
    hem: Array

    @classmethod
    def of(cls, panel: LaidPanel) -> "_Edges":
        """Those of a panel as it is laid."""
        cf, cb = (np.array(sorted(edge, key=lambda point: point[1])) for edge in (panel.cf_edge, panel.cb_edge))
        return cls(panel.number, cf, cb, np.array(sorted(panel.top)), np.array(sorted(panel.hem)))


def _spot(round_share: float, down_share: float, panels: Sequence[_Edges]) -> Spot:
    """A place on the front panels: so far from CF to the side, so far from the top line to the hem."""
    z = 0.0
    for _ in range(3):  # where it lies across depends on how high, and the other way round
        widths = [_edge(panel.cb, z) - _edge(panel.cf, z) for panel in panels]
        at, i = round_share * sum(widths), 0
        while i < len(panels) - 1 and at > widths[i]:
            at -= widths[i]
            i += 1
        share = min(1.0, max(0.0, at / widths[i])) if widths[i] > 0 else 0.5
        high, low = _along(panels[i].top, share), _along(panels[i].hem, share)
        z = high - down_share * (high - low)
    left, right = _edge(panels[i].cf, z), _edge(panels[i].cb, z)
    return Spot(panel=panels[i].number, x_mm=round(left + share * (right - left), 1), z_mm=round(z, 1))


def _edge(side: Array, z: float) -> float:
    return float(np.interp(z, side[:, 1], side[:, 0]))


def _along(edge: Array, share: float) -> float:
    """The height of a top line or hem of a panel, at a share of its way from CF back."""
    x = edge[0, 0] + share * (edge[-1, 0] - edge[0, 0])
    return float(np.interp(x, edge[:, 0], edge[:, 1]))
