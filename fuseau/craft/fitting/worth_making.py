"""What of a change is worth making: amounts that chalk and shears hold (model, section 6).

Where nobody marks a third of a millimetre, small shares go to the seams that are changed, and amounts come in steps.
What is left is what is listed, drawn and made.
"""

from collections.abc import Container

import numpy as np
import numpy.typing as npt

from fuseau.craft.base.curves import Array
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.alterations import Alteration, follow_listed, seam_change
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.measures import LevelName

_ROUNDING = 1e-6


def worth_making(
    pattern: Pattern,
    alteration: Alteration,
    practice: Practice,
    exactly: Container[LevelName | None] = (),
) -> Alteration:
    """An alteration with the same change of girth at every level that is listed, in amounts that are worth making.

    Each half comes to the step nearest to what was wanted of it (`change_step_mm`), as its front does; no edge changes
    by less than `least_edge_mm`, but for nothing. A level that was wished `exactly` comes to its wish, and its largest
    amount is no whole step.
    """
    seams = sorted(alteration.seams, key=lambda seam: seam.seam)
    if not seams:
        return alteration
    amounts = np.array([side for seam in seams for side in (seam.cf_side_mm, seam.cb_side_mm)]).T  # (stations, edges)
    front = np.arange(amounts.shape[1]) < 2 * pattern.front_panels - 1
    made = np.array([_row(row, front, practice) for row in amounts])
    for i, station in enumerate(pattern.stations):
        if station.name in exactly and made[i].any():
            made[i, int(np.argmax(np.abs(made[i])))] += float(amounts[i].sum() - made[i].sum())
    changes = tuple(seam_change(seam.seam, made[:, 2 * k], made[:, 2 * k + 1]) for k, seam in enumerate(seams))
    return follow_listed(pattern, alteration.model_copy(update={"seams": changes}))


def _row(row: Array, front: npt.NDArray[np.bool_], practice: Practice) -> Array:
    """The amounts of one level, (edges,), in steps: front and back apart, but where one is too little by itself."""
    step, least = practice.change_step_mm, practice.least_edge_mm
    whole, before = (step * round(float(part.sum()) / step) for part in (row, row[front]))
    behind = whole - before
    array = np.zeros_like(row)
    if min(abs(before), abs(behind)) < least <= abs(whole):
        return _in_steps(row, whole, practice)
    array[front] = _in_steps(row[front], before, practice)
    array[~front] = _in_steps(row[~front], behind, practice)
    return array


def _in_steps(row: Array, wanted_mm: float, practice: Practice) -> Array:
    """Amounts of edges (edges,) in steps that come to what is wanted of them, none less than is worth making.

    The smallest go first, to the others that go the same way.
    """
    step, least = practice.change_step_mm, practice.least_edge_mm
    kept = np.abs(row) > _ROUNDING
    found = np.where(kept, row, 0.0)
    while (small := kept & (np.abs(found) < least - _ROUNDING)).any():
        dropped = int(np.flatnonzero(small)[np.argmin(np.abs(row[small]))])
        left = found[dropped]
        kept[dropped], found[dropped] = False, 0.0
        takers = kept & (np.sign(found) == np.sign(left))
        takers = takers if takers.any() else kept
        if takers.any():
            found = found + left * np.abs(row) * takers / float(np.sum(np.abs(row) * takers))
    rounded = step * np.round(found / step)
    short = wanted_mm - float(rounded.sum())
    for _ in range(round(abs(short) / step) if kept.any() else 0):  # to the edges from which rounding took the most
        best = int(np.argmax(np.where(kept, (found - rounded) * np.sign(short), -np.inf)))
        rounded[best] += step * np.sign(short)
    return np.asarray(np.where(np.abs(rounded) < least - _ROUNDING, 0.0, rounded))
