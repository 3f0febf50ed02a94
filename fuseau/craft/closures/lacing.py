"""The lacing walk: which hole the lace goes through next, from one end of it to the other (model, section 9)."""

import math
from collections.abc import Sequence
from typing import Literal

from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.record import Record

LacePattern = Literal["cross with pull loops", "cross", "spiral"]
Side = Literal["left", "right"]
End = Literal["left end", "right end", "lace"]


class Hole(Record):
    """A hole by its row from the top down (0 first) and its side, as seen from behind."""

    row: int
    side: Side


class LaceStep(Record):
    """One step of the walk: an end goes on to a hole; how much lace lies on the way (mm), and how it is said."""

    end: End
    to: Hole
    way: Literal["start", "bar", "cross", "loop", "slant"]
    lace_mm: float
    sentence: Message


_ENDS: tuple[End, End] = ("left end", "right end")


def usual_pattern(pull_loops: bool) -> LacePattern:
    """Crossed, with loops at the waist to pull where there is a pair for them."""
    return "cross with pull loops" if pull_loops else "cross"


def walk(
    heights_mm: Sequence[float], gap_mm: float, inset_mm: float, pattern: LacePattern, loop_mm: float = 0.0
) -> tuple[LaceStep, ...]:
    """The walk through rows at `heights_mm` (top down) of both edges, holes `inset_mm` from the fold, at a gap.

    Crossed: a bar across the top row, then both ends cross from row to row; at the rows that straddle the waist each
    runs out into a loop of `loop_mm` and back in below; a bar at the bottom, where they are tied. Spiral: one end from
    the top left, a bar in each row and a slant to the next. Every hole is gone through once.
    """
    width = gap_mm + 2 * inset_mm
    return _spiral(heights_mm, width) if pattern == "spiral" else _crossed(heights_mm, width, pattern, loop_mm)


def walk_length(
    heights_mm: Sequence[float], gap_mm: float, inset_mm: float, pattern: LacePattern, loops_mm: float, tails_mm: float
) -> float:
    """Lace that a walk takes, mm: crossed 2W + Σ 2·√(W² + pitch²), spiral n·W + Σ √(W² + pitch²); loops and tails.

    >>> rows = (150, 122.4, 94.8, 67.2, 39.6, 12, -12, -37, -62, -87, -112)
    >>> round(walk_length(rows, 50, 12, "cross with pull loops", 0, 0))
    1563
    """
    steps = walk(heights_mm, gap_mm, inset_mm, pattern)
    bottom = 0.0 if pattern == "spiral" else gap_mm + 2 * inset_mm
    return sum(step.lace_mm for step in steps) + bottom + loops_mm + tails_mm


def _start(sentence: Message) -> LaceStep:
    return LaceStep(end="lace", to=Hole(row=0, side="left"), way="start", lace_mm=0.0, sentence=sentence)


def _crossed(heights: Sequence[float], width: float, pattern: LacePattern, loop_mm: float) -> tuple[LaceStep, ...]:
    steps = [
        _start(message("lace.halve")),
        LaceStep(
            end="lace",
            to=Hole(row=0, side="right"),
            way="bar",
            lace_mm=width,
            sentence=message("lace.other_end"),
        ),
    ]
    sides: dict[End, Side] = {"left end": "left", "right end": "right"}
    for row in range(1, len(heights)):
        upper, lower = heights[row - 1], heights[row]
        loops = pattern == "cross with pull loops" and upper > 0 > lower
        for which in _ENDS:
            if loops:
                said = message("lace.loop", row=row + 1, side=sides[which])
                steps.append(
                    LaceStep(end=which, to=Hole(row=row, side=sides[which]), way="loop", lace_mm=loop_mm, sentence=said)
                )
                continue
            sides[which] = "right" if sides[which] == "left" else "left"
            code = "lace.cross_over" if which == "right end" else "lace.cross"
            steps.append(
                LaceStep(
                    end=which,
                    to=Hole(row=row, side=sides[which]),
                    way="cross",
                    lace_mm=math.hypot(width, upper - lower),
                    sentence=message(code, row=row + 1, end=which, side=sides[which]),
                )
            )
    return tuple(steps)


def _spiral(heights: Sequence[float], width: float) -> tuple[LaceStep, ...]:
    steps = [_start(message("lace.knot"))]
    side: Side = "left"
    for row, z in enumerate(heights):
        if row:
            side = "right" if side == "left" else "left"
            steps.append(
                LaceStep(
                    end="lace",
                    to=Hole(row=row, side=side),
                    way="slant",
                    lace_mm=math.hypot(width, heights[row - 1] - z),
                    sentence=message("lace.slant", side=side, row=row + 1),
                )
            )
        side = "right" if side == "left" else "left"
        steps.append(
            LaceStep(
                end="lace",
                to=Hole(row=row, side=side),
                way="bar",
                lace_mm=width,
                sentence=message("lace.across", side=side, row=row + 1),
            )
        )
    return tuple(steps)
