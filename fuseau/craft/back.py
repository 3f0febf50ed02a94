"""The back: rows of holes with the pull-loop pair at the waist, and the lace (model, section 9)."""

import math
from typing import Annotated

from fuseau.craft.lengths import Length
from fuseau.craft.practice import Practice
from fuseau.craft.record import Record, Unmakeable


class BackChoices(Record):
    """How the back is laced: the wished pitch above and below the pull loops; None takes the house number."""

    pitch_mm: Annotated[float, Length("a pitch of rows", 14, 60, hardware=True)] | None = None


class Lace(Record):
    """Lengths of lace, mm: worn, and open wide enough to get in; what hangs loose when worn."""

    worn_mm: float
    getting_in_mm: float
    cut_mm: float
    loose_when_worn_mm: float


def rows(
    top_mm: float, hem_mm: float, pitch_mm: float, practice: Practice, *, pull_loops: bool = True
) -> tuple[float, ...]:
    """Heights of the holes of one edge, from the top down, mm; the other edge has the same.

    The pull-loop pair straddles the waist; above and below rows lie evenly, at the pitch nearest the wish that
    puts the last at its margin from the finished edge. Without pull loops the rows lie evenly from end to end.
    Raises Unmakeable when the edge is too short.
    """
    pair = practice.loop_pair_mm
    highest, lowest = top_mm - practice.row_margin_mm, hem_mm + practice.row_margin_mm
    if not pull_loops:
        margin = min(practice.row_margin_mm, (top_mm - hem_mm) / 6)
        return tuple(_evenly(hem_mm + margin, top_mm - margin, pitch_mm)[::-1])
    if highest < pair or lowest > -pair:
        raise Unmakeable("draft.top.cb_mm", "The back is too short for a pair of holes at the waist.")
    upper = _evenly(pair, highest, pitch_mm)
    lower = _evenly(pair, -lowest, pitch_mm)
    return (*upper[::-1], *(-z for z in lower))


def _evenly(start: float, end: float, pitch: float) -> list[float]:
    """From `start` to `end` at the even pitch nearest the wish, both included; one row where no second fits."""
    count = round((end - start) / pitch)
    if count == 0:
        return [start]
    return [start + (end - start) * i / count for i in range(count + 1)]


def lace_length(
    heights_mm: tuple[float, ...], gap_mm: float, inset_mm: float, loops_mm: float, tails_mm: float
) -> float:
    """Lace between the rows `heights_mm` (top down) at a gap, mm (model, section 9).

    2W at both ends, two slants at every crossing, none at the pull-loop pair, and the loops and tails.

    >>> round(lace_length((150, 122.4, 94.8, 67.2, 39.6, 12, -12, -37, -62, -87, -112), 50, 12, 0, 0))
    1563
    """
    width = gap_mm + 2 * inset_mm
    slants = sum(
        2 * math.hypot(width, upper - lower)
        for upper, lower in zip(heights_mm, heights_mm[1:], strict=False)
        if not (upper > 0 > lower)
    )
    return 2 * width + slants + loops_mm + tails_mm


def cut_lace(
    heights_mm: tuple[float, ...],
    worn_gap_mm: float,
    getting_in_gap_mm: float,
    inset_mm: float,
    practice: Practice,
    *,
    pull_loops: bool = True,
) -> Lace:
    """How much lace to cut: enough to get in with short tails, or to wear with pull loops, whichever is more."""
    tails = 2 * practice.lace_tail_mm
    loops = 2 * practice.lace_loop_mm if pull_loops else 0.0
    worn = lace_length(heights_mm, worn_gap_mm, inset_mm, loops, tails)
    open_wide = lace_length(heights_mm, max(getting_in_gap_mm, worn_gap_mm), inset_mm, 0, tails)
    cut = math.ceil(max(worn, open_wide) / 100) * 100.0
    return Lace(
        worn_mm=worn,
        getting_in_mm=open_wide,
        cut_mm=cut,
        loose_when_worn_mm=cut - (worn - loops),
    )


def grommet_count(heights_mm: tuple[float, ...]) -> tuple[int, int]:
    """Grommets for both edges, and spares: 10 %, two at least."""
    holes = 2 * len(heights_mm)
    return holes, max(2, math.ceil(holes / 10))
