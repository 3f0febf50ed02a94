"""A picture against her: where a point of it lies on her, and where she lies on it (model, section 17).

Points of a picture are (x, y) from its top left, both as shares of its width.
"""

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.worn.figure import Figure
from fuseau.craft.worn.sight import turn_by

_PLACES = np.linspace(-2.0, 2.0, 321)
_BEYOND = 1.12  # of the half width: a mark so far outside her outline is still meant to lie on it
_PASSES = 8


class Pose(Record):
    """How a figure stands on a picture: turned by so much about upright, at which scale, where its axis and waist lie.

    `mm` is what the picture's width is at her scale; a positive turn shows her left.
    """

    turn_deg: float
    mm: float
    axis: float
    waist: float

    def on_picture(self, points: Array) -> Array:
        """Where points on her (m, 3) lie on the picture, (m, 2)."""
        seen = points @ turn_by(self.turn_deg).T
        return np.column_stack([self.axis + seen[:, 0] / self.mm, self.waist - seen[:, 1] / self.mm])

    def on_her(self, figure: Figure, points: Array) -> tuple[Array, Array]:
        """Nominal heights and places of points of the picture (m, 2): 0 CF, ±1 side, positive on her right.

        What lies a little beside her lies on her outline. Raises Unmakeable at `mark` for what lies further off.
        """
        across, up = (points[:, 0] - self.axis) * self.mm, (self.waist - points[:, 1]) * self.mm
        nominal, place = up.copy(), np.zeros(len(points))
        nominal = np.clip(nominal, figure.heights[0], figure.heights[-1])
        for _ in range(_PASSES):
            for i in range(len(points)):
                place[i] = self._place(figure, float(nominal[i]), float(across[i]))
                column = figure.up(figure.heights, np.full(len(figure.heights), abs(place[i])))
                nominal[i] = np.interp(up[i], column, figure.heights)
        return nominal, place

    def _place(self, figure: Figure, nominal: float, across: float) -> float:
        ring = figure.over.at(np.full(len(_PLACES), nominal))
        right, ahead = ring.point(np.abs(_PLACES))
        points = np.column_stack([-np.sign(_PLACES) * right, np.zeros(len(_PLACES)), ahead])
        seen = points @ turn_by(self.turn_deg).T
        ends = int(np.argmin(seen[:, 0])), int(np.argmax(seen[:, 0]))
        low, high = min(ends), max(ends)
        branch = np.arange(low, high + 1)
        if seen[branch, 2].mean() < 0:  # the other way round is what faces the eye
            branch = np.concatenate([np.arange(high, len(_PLACES) - 1), np.arange(0, low + 1)])
        x, places = seen[branch, 0], _PLACES[branch]
        middle, half = (x.max() + x.min()) / 2, (x.max() - x.min()) / 2
        if abs(across - middle) > _BEYOND * half:
            raise Unmakeable("mark", "trim.beside")
        order = np.argsort(x)
        return float(np.interp(across, x[order], places[order]))


def points_at(figure: Figure, nominal: Array, place: Array) -> Array:
    """Points over the garment at nominal heights and places, (m, 3) mm: positive places on her right."""
    ring = figure.over.at(nominal)
    across, ahead = ring.point(np.abs(place))
    return np.column_stack([-np.sign(place) * across, figure.up(nominal, np.abs(place)), ahead])
