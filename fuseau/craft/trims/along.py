"""What runs along a line: how many, how much, how long it takes, and where it stops when there is too little (15)."""

import math
from collections.abc import Sequence
from typing import Literal

from fuseau.craft.base.record import Record
from fuseau.craft.materials.minutes import Work
from fuseau.craft.trims.choices import Along, Ends, Sewn
from fuseau.craft.trims.lines import Crossing, RunLine

_WORKS: dict[Sewn, Work] = {
    "each by hand": "beads along a line",
    "along by hand": "trim by hand",
    "by machine": "trim by machine",
    "stuck or painted": "trim by machine",
}
_STITCH_SHARE = 2.5  # of the line's length is thread, there and back and round each piece


class Stop(Record):
    """Where something may stop when what is at hand does not reach: mm from where the line begins, on both halves.

    At a `seam`, where it `runs out`, or all of it at a wider `pitch_mm`. `count` or `uses_mm` is what that takes.
    """

    how: Literal["seam", "runs out", "wider"]
    seam: str = ""
    at_mm: float
    pitch_mm: float | None = None
    count: int | None = None
    uses_mm: float


class AlongLaid(Record):
    """Something laid along its line. Lengths of one half; counts, thread, grams and minutes of all that is meant.

    `pitch_mm` is what the pitch comes to so that the ends are as wished; `at_mm` where the pieces lie. `needed_mm` of
    what runs on, with what is turned in; `short` by so many pieces or mm; `stops` are the ways out.
    """

    length_mm: float
    halves: int
    count: int | None = None
    pitch_mm: float | None = None
    at_mm: tuple[float, ...] = ()
    needed_mm: float | None = None
    thread_mm: float
    grams: float
    price: float
    works: tuple[tuple[Work, float], ...]
    loops: int = 0
    short: float = 0.0
    stops: tuple[Stop, ...] = ()


def spread(length_mm: float, pitch_mm: float, ends: Ends) -> tuple[float, ...]:
    """Where pieces lie on a length: the pitch moved as little as goes so that the ends are as wished.

    >>> spread(100.0, 30.0, "on both ends"), spread(100.0, 30.0, "half a pitch in")
    ((0.0, 33.333333333333336, 66.66666666666667, 100.0), (16.666666666666668, 50.0, 83.33333333333334))
    """
    gaps = max(1, math.floor(length_mm / pitch_mm + 0.5))
    step = length_mm / gaps
    if ends == "on both ends":
        return tuple(i * step for i in range(gaps + 1))
    return tuple((i + 0.5) * step for i in range(gaps))


def lay_along(trim: Along, run: RunLine, *, meets_at_cf: bool, loop_mm: float = 40.0) -> AlongLaid:
    """Something laid along a line of a half.

    `meets_at_cf`: the line goes on over CF onto the other half, so that a piece on CF is there only once, and what runs
    on is turned in only at its ends behind.
    """
    halves = 2 if trim.line.half == "both" else 1
    joined = meets_at_cf and halves == 2 and not trim.line.begins_mm
    whole = run.length_mm
    if trim.pitch_mm is None:
        ends = 1 if joined else 2
        needed = halves * (whole + ends * trim.turn_in_mm)
        return _told(trim, whole, halves, needed_mm=needed, stops=_stops_running(trim, run, joined), loop_mm=loop_mm)
    at = spread(whole, trim.pitch_mm, trim.ends)
    shared = joined and trim.ends == "on both ends"
    count = halves * len(at) - (1 if shared else 0)
    found = _told(trim, whole, halves, count=count, at_mm=at, loop_mm=loop_mm)
    pitch = whole / max(1, len(at) - (1 if trim.ends == "on both ends" else 0))
    return found.model_copy(update={"pitch_mm": pitch, "stops": _stops_counted(trim, run, at, found.short, shared)})


def _told(
    trim: Along,
    whole: float,
    halves: int,
    *,
    loop_mm: float,
    count: int | None = None,
    needed_mm: float | None = None,
    at_mm: tuple[float, ...] = (),
    stops: tuple[Stop, ...] = (),
) -> AlongLaid:
    amount = float(count) if count is not None else (needed_mm or 0.0)
    each = amount if count is not None else amount / 1000
    work = _WORKS[trim.sewn]
    if trim.detachable:
        loops = halves * (math.ceil(whole / loop_mm) + 1)
        works: tuple[tuple[Work, float], ...] = (("loop for a trim", float(loops)),)
    else:
        loops = 0
        times = amount if count is not None and trim.sewn == "each by hand" and _apart(trim) else halves * whole / 100
        works = (("bead by itself" if times == amount and count is not None else work, times),)
    had = trim.at_hand if count is not None else trim.at_hand_mm
    short = 0.0 if had is None else max(0.0, amount - had)
    return AlongLaid(
        length_mm=whole,
        halves=halves,
        count=count,
        at_mm=at_mm,
        needed_mm=needed_mm,
        thread_mm=0.0 if trim.sewn == "stuck or painted" else _STITCH_SHARE * halves * whole,
        grams=each * trim.grams,
        price=each * trim.price,
        works=works,
        loops=loops,
        short=short,
        stops=stops if short else (),
    )


def _apart(trim: Along) -> bool:
    """Pieces that lie 12 mm apart or more are sewn on one by one; nearer ones are a strand."""
    return trim.pitch_mm is not None and trim.pitch_mm >= 12.0


def _stops_counted(trim: Along, run: RunLine, at: Sequence[float], short: float, shared: bool) -> tuple[Stop, ...]:
    """Where pieces may stop: at the last seam that they reach on both halves, where they run out, or further apart."""
    if not short or trim.at_hand is None or trim.pitch_mm is None:
        return ()
    halves, had = (2 if trim.line.half == "both" else 1), trim.at_hand

    def taken(places: int) -> int:
        return halves * places - (1 if shared and places else 0)

    step = at[1] - at[0] if len(at) > 1 else trim.pitch_mm
    reach = max((k for k in range(len(at) + 1) if taken(k) <= had), default=0)
    found = []
    if reach:
        found.append(Stop(how="runs out", at_mm=at[reach - 1], count=taken(reach), uses_mm=0.0))
        if seam := _last_seam(run, at[reach - 1] + step / 2):
            places = sum(place <= seam.at_mm + 1e-6 for place in at)
            if places:
                found.insert(0, Stop(how="seam", seam=seam.seam, at_mm=seam.at_mm, count=taken(places), uses_mm=0.0))
    least = 2 if trim.ends == "on both ends" else 1
    places = (had + (1 if shared else 0)) // halves
    if places >= least:
        gaps = places - 1 if trim.ends == "on both ends" else places
        found.append(
            Stop(
                how="wider",
                at_mm=run.length_mm,
                pitch_mm=run.length_mm / gaps,
                count=taken(places),
                uses_mm=0.0,
            )
        )
    return tuple(found)


def _stops_running(trim: Along, run: RunLine, joined: bool) -> tuple[Stop, ...]:
    """Where what runs on may stop: at the last seam that it reaches on both halves, or where it runs out."""
    if trim.at_hand_mm is None:
        return ()
    halves = 2 if trim.line.half == "both" else 1
    ends = 1 if joined else 2
    reach = trim.at_hand_mm / halves - ends * trim.turn_in_mm
    if reach <= 0:
        return ()
    reach = min(reach, run.length_mm)
    found = [Stop(how="runs out", at_mm=reach, uses_mm=halves * (reach + ends * trim.turn_in_mm))]
    if seam := _last_seam(run, reach):
        uses = halves * (seam.at_mm + ends * trim.turn_in_mm)
        found.insert(0, Stop(how="seam", seam=seam.seam, at_mm=seam.at_mm, uses_mm=uses))
    return tuple(found)


def _last_seam(run: RunLine, reach: float) -> Crossing | None:
    return max((one for one in run.crossings if one.at_mm <= reach + 1e-6), key=lambda one: one.at_mm, default=None)
