"""What the shape of a body adds to what keeps a laced garment up (model, section 15)."""

from collections.abc import Sequence

import numpy as np

from fuseau.craft.base.curves import Array


def shape_holds(
    z_mm: Sequence[float] | Array, girth_mm: Sequence[float] | Array, tension_n_per_m: Sequence[float] | Array
) -> float:
    """What the body's shape adds to what holds a laced garment, N: ∫ T·(−dC/dz) dz, by virtual work.

    Sliding down by dz, a hoop at z comes to lie on the girth that was below: it is stretched by −C′·dz against its
    tension. `z_mm` upwards, the girth as it is worn.

    >>> round(shape_holds([-80, 0], [820, 700], [80, 80]), 2)
    9.6
    """
    z, girth = np.asarray(z_mm, float), np.asarray(girth_mm, float)
    order = np.argsort(z)
    tension = np.asarray(tension_n_per_m, float)[order]
    middle = (tension[1:] + tension[:-1]) / 2
    return float(-(middle * np.diff(girth[order])).sum() / 1000)
