"""How flesh gives under a laced garment: girth, pressure and hoop tension (model, section 2).

Lengths are mm, tensions newtons per metre of height, pressures kPa. `give` is the share by which a girth can give,
`natural` the girth without pressure. How sharply flesh stiffens differs from body to body: with `stiffening` κ the
pressure at a share u of what it gives is p0·(−ln(1 − u))·(1 + κ(u − ½)); 0 is the table's law, and from −1.3 to 1.3
more squeeze always takes more pressure (model, section 6: the flesh). Where a hoop just touches, the law has a corner:
what is sought by it, with an `onset` of more than 0, comes to bear over so much of what flesh gives, and has none.
"""

import math

import numpy as np

from fuseau.craft.base.curves import Array

_MOST_USED = 0.999


Number = float | Array


def _used(natural: Array, give: Array, girth: Array, onset: float) -> tuple[Array, Array]:
    """The share of what flesh gives that bears under a hoop, 0 or less where it is slack, and its slope by the plain.

    Beyond `onset` it is the plain one; within, a parabola that meets it in value and slope.
    """
    used = (natural - girth) / (natural * give)
    if not onset:
        return used, np.where(used > 0, 1.0, 0.0)
    near = np.minimum(np.maximum(used + onset, 0.0), 2 * onset)
    return near * near / (4 * onset) + np.maximum(used - onset, 0.0), near / (2 * onset)


def pressure_at(
    natural: Array, give: Array, girth: Array, scale_kpa: Number, stiffening: Number = 0.0, onset: float = 0.0
) -> tuple[Array, Array]:
    """Pressure (kPa) under a hoop of `girth` mm, and its derivative by girth (kPa/mm); 0 where it is slack.

    Inverse of C = C0·(1 − c·(1 − exp(−p/p0))). Beyond 99.9 % of what the level gives it goes on straight,
    so that Newton's method never leaves the domain, and a draft past what a body gives always exists (model, 4).
    """
    used, bearing = _used(natural, give, girth, onset)
    held = np.minimum(np.maximum(used, 0.0), _MOST_USED)
    left = 1 - held
    pressure, by_used = 0.0 - np.log1p(-held), 1 / left
    past = used > _MOST_USED
    beyond = bool(past.any())
    if beyond:
        pressure = pressure + np.where(past, used - held, 0.0) / left
    if np.ndim(stiffening) or stiffening:
        share, bent = 1 + stiffening * (held - 0.5), pressure * stiffening
        by_used = by_used * share + (np.where(past, 0.0, bent) if beyond else bent)
        pressure = pressure * share
    return scale_kpa * pressure, -scale_kpa * by_used * bearing / (natural * give)


def tension_at(
    natural: Array, give: Array, girth: Array, scale_kpa: Number, stiffening: Number = 0.0, onset: float = 0.0
) -> tuple[Array, Array, Array]:
    """Hoop tension T = pC/2π (N per m of height) at `girth` mm, and dT/d(girth), dT/d(natural) in N/m/mm."""
    pressure, by_girth = pressure_at(natural, give, girth, scale_kpa, stiffening, onset)
    tension = pressure * girth / (2 * math.pi)
    by_hoop = (by_girth * girth + pressure) / (2 * math.pi)
    by_natural = -by_girth * girth / natural * girth / (2 * math.pi)  # ∂u/∂C0 = −(C/C0)·∂u/∂C
    return tension, by_hoop, by_natural


def tension_by_flesh(
    natural: Array, give: Array, girth: Array, stiffening: Number, tension: Array, by_hoop: Array, onset: float = 0.0
) -> tuple[Array, Array]:
    """dT/d(give) (N/m) and dT/d(stiffening) (N/m) of `tension_at`, from what that found.

    By the log of the scale it changes as T itself.
    """
    held = np.minimum(np.maximum(_used(natural, give, girth, onset)[0], 0.0), _MOST_USED)
    apart = held - 0.5
    by_give = (by_hoop - tension / girth) * (natural - girth) / give
    return by_give, tension * apart / (1 + stiffening * apart)


def girth_under(natural: Array, give: Array, tension: Array, scale_kpa: float, stiffening: float = 0.0) -> Array:
    """Girth (mm) to which a level falls under a hoop `tension` (N/m), where give and hoop agree.

    >>> girth_under(np.array([720.]), np.array([.13]), np.array([240.]), 2.0).round(1)
    array([656.1])
    """
    wanted = np.broadcast_to(np.asarray(tension, dtype=float), np.shape(natural))
    loose, tight = np.array(natural, dtype=float), natural * (1 - give * _MOST_USED)
    past = np.asarray(tension_at(natural, give, tight, scale_kpa, stiffening)[0] < wanted)
    while past.any():  # more than flesh gives: on by the tangent
        tight = np.where(past, tight - natural * give / 2, tight)
        past = (tension_at(natural, give, tight, scale_kpa, stiffening)[0] < wanted) & (tight > natural * 0.2)
    girth = (loose + tight) / 2
    for _ in range(80):  # Newton, kept between a girth too loose and one too tight
        found, by_girth, _ = tension_at(natural, give, girth, scale_kpa, stiffening)
        off = found - wanted
        loose, tight = np.where(off < 0, girth, loose), np.where(off >= 0, girth, tight)
        step = np.where(by_girth < 0, -off / np.minimum(by_girth, -1e-12), 0.0)
        following = girth + step
        inside = (following <= loose) & (following >= tight) & (by_girth < 0)
        following = np.where(inside, following, (loose + tight) / 2)
        if np.max(np.abs(following - girth)) < 1e-10:
            return np.asarray(following)
        girth = following
    return np.asarray(girth)


def used_at(pressure_kpa: Array, scale_kpa: float, stiffening: float = 0.0) -> Array:
    """The share of what flesh gives that is used at a pressure."""
    if not stiffening:
        return np.asarray(1 - np.exp(-pressure_kpa / scale_kpa))
    used, ones = np.minimum(1 - np.exp(-pressure_kpa / scale_kpa), 0.99), np.ones_like(pressure_kpa)
    for _ in range(30):  # Newton: by the share used, what flesh takes rises all the way
        found, by_girth = pressure_at(ones, ones, 1 - used, scale_kpa, stiffening)
        step = (found - pressure_kpa) / np.minimum(by_girth, -1e-9)
        used = np.clip(used + step, 0.5 * used, 0.5 * (used + _MOST_USED))
        if float(np.max(np.abs(step), initial=0.0)) < 1e-12:
            break
    return np.asarray(used)


def side_pressure(tension: Array, girth: Array, width_to_depth: Array) -> Array:
    """Pressure (kPa) at the sides of an ellipse with this girth: T·a/b² (model, section 2).

    The girth of the ellipse is taken as 2π·√((a²+b²)/2).
    """
    depth = girth / (2 * math.pi) / np.sqrt((width_to_depth**2 + 1) / 2)
    return tension * width_to_depth / depth
