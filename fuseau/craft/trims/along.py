"""What runs along a line: how many, how much, how long it takes, and where it stops when there is too little (15)."""

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Literal

from fuseau.craft.base.record import Record
from fuseau.craft.materials.minutes import Work
from fuseau.craft.trims.choices import MOST_PITCH_MM, Along, Ends, Sewn
from fuseau.craft.trims.lines import Crossing, RunLine

_WORKS: dict[Sewn, Work] = {
    "each by hand": "beads along a line",
    "along by hand": "trim by hand",
    "by machine": "trim by machine",
    "stuck or painted": "trim by machine",
}
_APART_MM = 12.0  # pieces that lie so far apart are sewn on one by one; nearer ones are a strand
_LOOP_MM = 40.0  # between the loops that something detachable hangs on
_STITCH_SHARE = 2.5  # of the line's length is thread, there and back and round each piece


class Stop(Record):
    """Where something may stop when what is at hand does not reach: mm from where the line begins, on both halves.

    At the last `seam` that it reaches, at the side so that all is done that `shows` from the front, where it `runs
    out`, or all of it at a wider `pitch_mm`. `count` or `uses_mm` is what that takes.
    """

    how: Literal["seam", "shows", "runs out", "wider"]
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


@dataclass(frozen=True)
class Meets:
    """Whether a line goes on over CF, or over CB, onto the other half: no opening is there."""

    at_cf: bool = False
    at_cb: bool = False


def lay_along(
    trim: Along, run: RunLine, *, lengths_mm: Sequence[float] = (), meets: Meets = Meets(), side: str = ""
) -> AlongLaid:
    """Something laid along a line of a half; `side` is the label of the side seam.

    `lengths_mm`: of the line on each half that it lies on, where these differ. Where it `meets` itself over CF or CB it
    is one line: a piece there is there only once, and what runs on is turned in only where it ends.
    """
    lengths = tuple(lengths_mm) or (run.length_mm,) * (2 if trim.line.half == "both" else 1)
    halves, whole, both = len(lengths), run.length_mm, sum(lengths)
    joins = (meets.at_cf and not trim.line.begins_mm) + (meets.at_cb and trim.line.ends_mm is None)
    joins = joins if halves == 2 else 0
    laid = AlongLaid(
        length_mm=whole,
        halves=halves,
        thread_mm=0.0 if trim.sewn == "stuck or painted" else _STITCH_SHARE * both,
        grams=0.0,
        price=0.0,
        works=_works(trim, lengths),
        loops=sum(map(_loops, lengths)) if trim.detachable else 0,
    )
    if trim.pitch_mm is None:
        ends = 2 * (halves - joins) / halves
        needed = both + halves * ends * trim.turn_in_mm
        short = 0.0 if trim.at_hand_mm is None else max(0.0, needed - trim.at_hand_mm)
        told = {"needed_mm": needed, "grams": needed / 1000 * trim.grams, "price": needed / 1000 * trim.price}
        return laid.model_copy(
            update={**told, "short": short, "stops": _stops_running(trim, run, ends, halves, side) if short else ()}
        )
    pieces = _Pieces(trim.pitch_mm, trim.ends, halves, shared=joins if trim.ends == "on both ends" else 0)
    at = pieces.at(whole)
    count = sum(len(pieces.at(length)) for length in lengths) - pieces.shared
    lacking = 0 if trim.at_hand is None else max(0, count - trim.at_hand)
    works = laid.works
    if not trim.detachable and trim.sewn == "each by hand" and trim.pitch_mm >= _APART_MM:
        works = (("bead by itself", float(count)),)
    return laid.model_copy(
        update={
            "count": count,
            "at_mm": at,
            "pitch_mm": whole / max(1, len(at) - (1 if trim.ends == "on both ends" else 0)),
            "grams": count * trim.grams,
            "price": count * trim.price,
            "works": works,
            "short": float(lacking),
            "stops": _stops_counted(pieces, run, trim.at_hand or 0, side) if lacking else (),
        }
    )


def _works(trim: Along, lengths_mm: Sequence[float]) -> tuple[tuple[Work, float], ...]:
    if trim.detachable:
        return (("loop for a trim", float(sum(map(_loops, lengths_mm)))),)
    return ((_WORKS[trim.sewn], sum(lengths_mm) / 100),)


def _loops(length_mm: float) -> int:
    return math.ceil(length_mm / _LOOP_MM) + 1


@dataclass(frozen=True)
class _Pieces:
    """Pieces along a line of each half; so many on CF and CB are `shared`: there only once."""

    pitch_mm: float
    ends: Ends
    halves: int
    shared: int

    def at(self, length_mm: float) -> tuple[float, ...]:
        """Where they lie on a half that is so long."""
        return spread(length_mm, self.pitch_mm, self.ends)

    def count(self, length_mm: float) -> int:
        """How many there are on both halves."""
        return self.of(len(self.at(length_mm)))

    def of(self, places: int) -> int:
        """How many there are, with so many places on a half."""
        return self.halves * places - self.shared

    def gaps(self, had: int) -> int:
        """How many times the pitch goes into a line for which so many are enough."""
        places = (had + self.shared) // self.halves
        return places - 1 if self.ends == "on both ends" else places


def _at_seams(reached: Sequence[Crossing], side: str) -> Iterator[tuple[Literal["seam", "shows"], Crossing]]:
    """The last seam that is reached, and the side seam, where that comes before it."""
    if reached:
        last = max(reached, key=lambda one: one.at_mm)
        yield ("shows" if last.seam == side else "seam"), last
        yield from (("shows", one) for one in reached if one.seam == side and one is not last)


def _stops_counted(pieces: _Pieces, run: RunLine, had: int, side: str) -> tuple[Stop, ...]:
    """Where pieces may stop: at a seam that they reach on both halves, where they run out, or further apart.

    Each as it is laid once the line ends there.
    """
    gaps = pieces.gaps(had)
    if gaps < 1:
        return ()
    reached = [crossing for crossing in run.crossings if pieces.count(crossing.at_mm) <= had]
    found = [
        Stop(how=how, seam=one.seam, at_mm=one.at_mm, count=pieces.count(one.at_mm), uses_mm=0.0)
        for how, one in _at_seams(reached, side)
    ]
    out = min(gaps * pieces.pitch_mm, run.length_mm)
    if pieces.count(out) <= had:
        found.append(Stop(how="runs out", at_mm=out, count=pieces.count(out), uses_mm=0.0))
    wider = run.length_mm / gaps
    if wider <= MOST_PITCH_MM:
        count = replace(pieces, pitch_mm=wider).count(run.length_mm)
        found.append(Stop(how="wider", at_mm=run.length_mm, pitch_mm=wider, count=count, uses_mm=0.0))
    return tuple(found)


def _stops_running(trim: Along, run: RunLine, ends: float, halves: int, side: str) -> tuple[Stop, ...]:
    """Where what runs on may stop: at a seam that it reaches on both halves, or where it runs out."""
    reach = min((trim.at_hand_mm or 0.0) / halves - ends * trim.turn_in_mm, run.length_mm)
    if reach <= 0:
        return ()
    reached = [crossing for crossing in run.crossings if crossing.at_mm <= reach + 1e-6]
    stops: list[tuple[Literal["seam", "shows", "runs out"], str, float]] = [
        *((how, one.seam, one.at_mm) for how, one in _at_seams(reached, side)),
        ("runs out", "", reach),
    ]
    return tuple(
        Stop(how=how, seam=name, at_mm=at, uses_mm=halves * (at + ends * trim.turn_in_mm)) for how, name, at in stops
    )
