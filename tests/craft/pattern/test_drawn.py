"""How outlines are drawn: no chord leaves its curve by more than is allowed, and lines run on across sewn seams."""

import math

import numpy as np
import pytest

from fuseau.craft.pattern.trueing import SAGITTA_MM
from tests.kinds import ALL_KINDS, built
from tests.plans import plan

SHAPES = ("plain", "sweetheart", "scoop", "point", "swoop")


def way(start, end) -> float:
    return math.atan2(end[1] - start[1], end[0] - start[0])


def opening(one: float, other: float) -> float:
    """The angle between two ways, radians, 0 to π."""
    return abs((one - other + math.pi) % (2 * math.pi) - math.pi)


def kink(left, right, end: str) -> float:
    """By how many degrees a top line or hem breaks at a seam once it is sewn."""
    at, next_to = (-1, -2) if end == "top" else (0, 1)
    line_in, line_on = getattr(left, end), getattr(right, end)
    before = opening(way(line_in[-1], line_in[-2]), way(left.cb_edge[at], left.cb_edge[next_to]))
    after = opening(way(line_on[0], line_on[1]), way(right.cf_edge[at], right.cf_edge[next_to]))
    return math.degrees(abs(before + after - math.pi))


def sagittas(points) -> np.ndarray:
    """How far the middles of chords lie from the circles through them and their neighbours, mm."""
    p = np.array(points)
    before, after = np.diff(p[:-1], axis=0), np.diff(p[1:], axis=0)
    one, other = np.hypot(*before.T), np.hypot(*after.T)
    turn = np.arcsin(np.clip((before[:, 0] * after[:, 1] - before[:, 1] * after[:, 0]) / (one * other), -1, 1))
    return np.maximum(one, other) ** 2 * np.abs(turn) * 2 / (one + other) / 8


@pytest.mark.parametrize("shape", SHAPES)
@pytest.mark.parametrize("kind", ALL_KINDS)
def test_top_line_and_hem_run_on_across_every_seam(kind, shape):
    found = plan(built(kind, draft__top__shape=shape, draft__hem__shape=shape))
    if (kind, shape) == ("neck corset", "swoop"):
        assert found.unmakeable  # a collar's hem is too short for one
        return
    panels = found.pattern.panels
    for end in ("top", "hem"):
        for left, right in zip(panels, panels[1:], strict=False):
            assert kink(left, right, end) < 1.0, (end, left.number)


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_a_panel_is_as_narrow_as_its_edges_come_to_each_other(kind):
    for panel in plan(built(kind)).pattern.panels:
        assert panel.narrowest_mm > 0
        for x, z in panel.cf_edge:
            across = np.interp(z, [p[1] for p in panel.cb_edge], [p[0] for p in panel.cb_edge]) - x
            if panel.cb_edge[0][1] <= z <= panel.cb_edge[-1][1]:
                assert panel.narrowest_mm <= across + 0.1


@pytest.mark.parametrize("kind", [one for one in ALL_KINDS if one != "strapless bodice"])
def test_outlines_are_drawn_to_a_fiftieth_of_a_millimetre(kind):
    for panel in plan(built(kind, draft__top__shape="scoop")).pattern.panels:
        for edge in (panel.cf_edge, panel.cb_edge, panel.top, panel.hem):
            assert sagittas(edge).max() < 1.05 * SAGITTA_MM
