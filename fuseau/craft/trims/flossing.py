"""Flossing at the ends of bones: thread, count and minutes by its pattern and size (model, section 15)."""

import math
from collections.abc import Sequence

from fuseau.craft.base.record import Record
from fuseau.craft.materials.minutes import Work
from fuseau.craft.pattern.trueing import Point
from fuseau.craft.trims.choices import Floss, Flossing

_TAIL_MM = 120.0  # to begin and end a thread at each bone end
_RAYS = 5
_ARROWS = 3


class FlossAt(Record):
    """A bone end that is flossed: which channel and panel, which end, and where on the panel."""

    channel: str
    panel: int
    end: str
    at: tuple[float, float]


class FlossingLaid(Record):
    """Flossing as it is done: where, how many bone ends in both halves, thread in all and for each, stitches each."""

    at: tuple[FlossAt, ...]
    count: int
    stitches: int
    thread_each_mm: float
    thread_mm: float
    works: tuple[tuple[Work, float], ...]


def stitches_of(pattern: Floss, high_mm: float, wide_mm: float) -> tuple[float, ...]:
    """The lengths of the stitches on the face, mm: a bar across; a cross of two; a fan of five rays from the point; an
    arrow of three pairs.

    >>> [round(one, 1) for one in stitches_of("cross", 16, 12)]
    [20.0, 20.0]
    """
    half = wide_mm / 2
    if pattern == "bar":
        return (wide_mm,)
    if pattern == "cross":
        return (math.hypot(high_mm, wide_mm),) * 2
    if pattern == "fan":
        return tuple(math.hypot(high_mm, half * (2 * i / (_RAYS - 1) - 1)) for i in range(_RAYS))
    return tuple(math.hypot(high_mm / _ARROWS, half) for _ in range(2 * _ARROWS))


def lay_flossing(
    flossing: Flossing, ends: Sequence[tuple[str, int, Point, Point]], others: Sequence[tuple[str, int, Point, Point]]
) -> FlossingLaid:
    """Flossing of both halves. `ends` are of the right half, `others` of the left: channel, panel, top and lower end.

    The thread goes back under the cloth as far as on its face, and has a tail at each bone end.
    """
    at = _at(flossing, ends)
    count = len(at) + len(_at(flossing, others))
    faces = stitches_of(flossing.pattern, flossing.high_mm, flossing.wide_mm)
    each = flossing.strands * 2 * sum(faces) + _TAIL_MM
    return FlossingLaid(
        at=at,
        count=count,
        stitches=len(faces),
        thread_each_mm=each,
        thread_mm=count * each,
        works=(("flossing", float(count)),),
    )


def _at(flossing: Flossing, ends: Sequence[tuple[str, int, Point, Point]]) -> tuple[FlossAt, ...]:
    wanted = set(flossing.channels)
    found = []
    for channel, panel, top, low in ends:
        if wanted and channel not in wanted:
            continue
        for end, point in (("top", top), ("hem", low)):
            if flossing.ends in (end, "both"):
                found.append(FlossAt(channel=channel, panel=panel, end=end, at=point))
    return tuple(found)
