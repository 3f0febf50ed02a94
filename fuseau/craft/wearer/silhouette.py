"""Her silhouette: half width and depth of a level from its girth, as it is and laced (model, section 17)."""

import math

import numpy as np

from fuseau.craft.base.curves import Array

KAPPA = 0.5  # how far a waist that is laced to its limit gets round, since the sides are pressed most


def half_width(girth_mm: Array | float, width_to_depth: Array | float) -> Array:
    """Half the width of an ellipse of a girth: C = 2π·√((a² + b²)/2), a = ρ·b.

    >>> round(float(half_width(700.0, 1.35)), 1), round(float(half_width(630.0, 1.22)), 1)
    (126.6, 109.7)
    """
    ratio = np.asarray(width_to_depth, float)
    depth = np.asarray(girth_mm, float) / (2 * math.pi * np.sqrt((ratio**2 + 1) / 2))
    return ratio * depth


def laced_ratio(width_to_depth: Array | float, used: Array | float) -> Array:
    """Width to depth of a level that is squeezed by a share of what it gives: ρ = 1 + (ρ0 − 1)(1 − κ·u).

    Squeezed further than it gives it gets no rounder.

    >>> round(float(laced_ratio(1.35, 0.74)), 2)
    1.22
    >>> float(laced_ratio(1.35, 1.4)) == float(laced_ratio(1.35, 1.0))
    True
    """
    return 1 + (np.asarray(width_to_depth, float) - 1) * (1 - KAPPA * np.clip(used, 0.0, 1.0))


def off_front(turn_deg: float) -> float:
    """How far a turn is from showing her straight, from the front or from behind, degrees.

    >>> off_front(20.0), off_front(-45.0), off_front(180.0), off_front(-170.0)
    (20.0, 45.0, 0.0, 10.0)
    """
    return abs((turn_deg + 90.0) % 180.0 - 90.0)


def seen_width(half_mm: Array | float, width_to_depth: Array | float, turn_deg: float) -> Array:
    """How wide an ellipse is seen that is turned: 2a·√(cos²ψ + sin²ψ/ρ²).

    >>> float(seen_width(100.0, 1.25, 0.0)), round(float(seen_width(100.0, 1.25, 90.0)), 6)
    (200.0, 160.0)
    """
    turn = math.radians(turn_deg)
    flat = math.cos(turn) ** 2 + math.sin(turn) ** 2 / np.asarray(width_to_depth, float) ** 2
    return 2 * np.asarray(half_mm, float) * np.sqrt(flat)
