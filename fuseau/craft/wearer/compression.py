"""How flesh gives under a laced garment: girth, pressure and hoop tension (model, section 2).

Lengths are mm, tensions newtons per metre of height, pressures kPa. `give` is the share by which a girth can give,
`natural` the girth without pressure.
"""

import math

import numpy as np

from fuseau.craft.base.curves import Array


def pressure_at(natural: Array, give: Array, girth: Array, scale_kpa: float) -> tuple[Array, Array]:
    """Pressure (kPa) under a hoop of `girth` mm, and its derivative by girth (kPa/mm); 0 where it is slack.

    Inverse of C = C0·(1 − c·(1 − exp(−p/p0))). Beyond 99.9 % of what the level gives it goes on straight,
    so that Newton's method never leaves the domain.
    """
    used = (natural - girth) / (natural * give)
    held = np.minimum(np.maximum(used, 0.0), 0.999)
    left = 1 - held
    pressure = scale_kpa * (np.maximum(used - held, 0.0) / left - np.log1p(-held))
    presses = used > 0
    return pressure * presses, np.where(presses, -scale_kpa / left / (natural * give), 0.0)


def tension_at(natural: Array, give: Array, girth: Array, scale_kpa: float) -> tuple[Array, Array, Array]:
    """Hoop tension T = pC/2π (N per m of height) at `girth` mm, and dT/d(girth), dT/d(natural) in N/m/mm."""
    pressure, by_girth = pressure_at(natural, give, girth, scale_kpa)
    tension = pressure * girth / (2 * math.pi)
    by_hoop = (by_girth * girth + pressure) / (2 * math.pi)
    by_natural = -by_girth * girth / natural * girth / (2 * math.pi)  # ∂u/∂C0 = −(C/C0)·∂u/∂C
    return tension, by_hoop, by_natural


def girth_under(natural: Array, give: Array, tension: Array, scale_kpa: float) -> Array:
    """Girth (mm) to which a level falls under a hoop `tension` (N/m): the fixed point of give and hoop.

    >>> girth_under(np.array([720.]), np.array([.13]), np.array([240.]), 2.0).round(1)
    array([656.1])
    """
    girth = natural * (1 - give / 2)
    for _ in range(60):  # a contraction by c·(p/p0)·exp(−p/p0) < 0.08, so some ten rounds
        pressure = 2 * math.pi * tension / girth
        following = natural * (1 - give * (1 - np.exp(-pressure / scale_kpa)))
        if np.max(np.abs(following - girth)) < 1e-10:
            return np.asarray(following)
        girth = following
    return np.asarray(girth)


def side_pressure(tension: Array, girth: Array, width_to_depth: Array) -> Array:
    """Pressure (kPa) at the sides of an ellipse with this girth: T·a/b² (model, section 2).

    The girth of the ellipse is taken as 2π·√((a²+b²)/2).
    """
    depth = girth / (2 * math.pi) / np.sqrt((width_to_depth**2 + 1) / 2)
    return tension * width_to_depth / depth
