"""What is seen of her from a side: turned about upright, without perspective (model, section 17)."""

import math

import numpy as np
import numpy.typing as npt

from fuseau.craft.base.curves import Array

_RATIO = 1.35  # as wide as deep, about: good enough to tell on which side of her outline a point lies


def turn_by(deg: float) -> Array:
    """The rotation (3, 3) that turns her about upright; a positive turn shows her left."""
    angle = math.radians(deg)
    return np.array([[math.cos(angle), 0, -math.sin(angle)], [0, 1, 0], [math.sin(angle), 0, math.cos(angle)]])


def facing(points: Array, turn_deg: float) -> npt.NDArray[np.bool_]:
    """At which points (m, 3) her surface faces the eye once she is turned, (m,): as on an ellipse."""
    normals = points / np.array([_RATIO**2, np.inf, 1.0])
    return np.asarray((normals @ turn_by(turn_deg).T)[:, 2] > 0)


def runs_of(flags: npt.NDArray[np.bool_]) -> list[tuple[int, int]]:
    """Where flags are set without a break: first, and one past the last.

    >>> runs_of(np.array([True, False, True, True]))
    [(0, 1), (2, 4)]
    """
    edges = np.flatnonzero(np.diff(np.concatenate([[False], flags, [False]]).astype(int)))
    return [(int(a), int(b)) for a, b in edges.reshape(-1, 2)]
