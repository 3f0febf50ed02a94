"""What hangs from a garment against what keeps it up: friction, the shape of the waist, straps (model, 3 and 15)."""

from typing import Literal

import numpy as np

from fuseau.craft.base.record import Record

G = 9.81
Held = Literal["holds", "barely", "slips"]
_MARGIN = 1.5  # of the weight: what holds by less only just does


class Load(Record):
    """The weight on a garment against what holds it, N.

    `friction_n` is what the model of the worn garment gives, `shape_n` what it takes to pull its hoops down over a body
    that widens below, less where it narrows; `straps_n` what straps carry. `lacks_n`: what it would take without them,
    to hold half as much again.
    """

    grams: float
    weight_n: float
    friction_n: float
    shape_n: float
    straps_n: float
    holds_n: float
    word: Held
    spare: float
    lacks_n: float


def load(grams: float, friction_n: float, shape_n: float, *, strapped: bool = False) -> Load:
    """Whether a garment stays up under so many grams, and by how much. Straps take what else would be lacking."""
    weight = grams / 1000 * G
    alone = max(0.0, friction_n + shape_n)
    straps = max(0.0, _MARGIN * weight - alone) if strapped else 0.0
    holds = alone + straps
    word: Held = "holds" if holds >= _MARGIN * weight else "barely" if holds >= weight else "slips"
    return Load(
        grams=grams,
        weight_n=weight,
        friction_n=friction_n,
        shape_n=shape_n,
        straps_n=straps,
        holds_n=holds,
        word=word,
        spare=holds / weight if weight else float(np.inf),
        lacks_n=max(0.0, _MARGIN * weight - alone),
    )
