"""The busk that fits CF, and where its seam is sewn and left open (model, section 8)."""

from typing import Literal

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.closures.choices import FrontChoices
from fuseau.craft.materials.catalogue import BUSKS, BuskStock


class Interval(Record):
    """A stretch of the loop-side seam, measured from the top stitch line of CF down, mm."""

    kind: Literal["sew", "leave"]
    from_mm: float
    to_mm: float


class Busk(Record):
    """The busk that fits CF, or the reason why none does (`length_mm` None)."""

    length_mm: float | None
    reason: Message
    width_mm: float | None = None
    loop_width_mm: float | None = None
    thin: bool = False
    top_z_mm: float | None = None
    studs_mm: tuple[float, ...] = ()
    studs_z_mm: tuple[float, ...] = ()
    waist_from_top_mm: float | None = None
    intervals: tuple[Interval, ...] = ()


def choose_busk(
    cf_top_mm: float,
    cf_hem_mm: float,
    choices: FrontChoices,
    practice: Practice,
    *,
    tops_mm: tuple[float, float] | None = None,
    sold: tuple[BuskStock, ...] = BUSKS,
) -> Busk:
    """The longest stock that fits CF between its clearances (or the maker's own), with its sew-and-leave table.

    `cf_top_mm`, `cf_hem_mm` are the heights above the waist between which both halves have a CF. Where it ends higher
    on one of them (`tops_mm`: right, left), loops are counted from the top of the right half, knobs from the left's.
    """
    right, left = tops_mm or (cf_top_mm, cf_top_mm)
    length = cf_top_mm - cf_hem_mm
    room = length - 2 * practice.busk_clearance_mm
    if choices.opening != "busk":
        return Busk(length_mm=None, reason=message("busk.otherwise"))
    sold = (choices.busk,) if choices.busk else sold
    fitting = [stock for stock in sold if stock.length_mm <= room]
    if not fitting:
        code = "busk.own_too_long" if choices.busk else "busk.none_short_enough"
        shortest = min(stock.length_mm for stock in sold)
        return Busk(length_mm=None, reason=message(code, cf_mm=length, room_mm=max(room, 0), shortest_mm=shortest))
    stock = max(fitting, key=lambda one: one.length_mm)
    start = practice.busk_clearance_mm + (room - stock.length_mm) / 2
    studs = tuple(start + place for place in stock.stud_places())
    reason = message("busk.own_fits", clear_mm=practice.busk_clearance_mm, cf_mm=length)
    if not choices.busk:
        longer = min((one.length_mm for one in sold if one.length_mm > room), default=None)
        reason = _why(stock, longer, length, practice)
    return Busk(
        length_mm=stock.length_mm,
        reason=reason,
        width_mm=stock.width_mm,
        loop_width_mm=stock.loop_width_mm,
        thin=choices.thin or stock.thin,
        top_z_mm=cf_top_mm - start,
        studs_mm=tuple(left - cf_top_mm + stud for stud in studs),
        studs_z_mm=tuple(cf_top_mm - stud for stud in studs),
        waist_from_top_mm=cf_top_mm - start,
        intervals=sew_and_leave(stock, tuple(right - cf_top_mm + stud for stud in studs), right - cf_hem_mm, practice),
    )


def _why(stock: BuskStock, longer_mm: float | None, cf_mm: float, practice: Practice) -> Message:
    """Why this stock, and what would have to give for the next longer one."""
    clear = practice.busk_clearance_mm
    if longer_mm is None:
        return message("busk.longest_sold", clear_mm=clear, cf_mm=cf_mm)
    more = longer_mm + 2 * clear - cf_mm
    return message("busk.longest_sold.next", clear_mm=clear, cf_mm=cf_mm, longer_mm=longer_mm, more_mm=more)


def sew_and_leave(
    stock: BuskStock, studs_mm: tuple[float, ...], seam_mm: float, practice: Practice
) -> tuple[Interval, ...]:
    """The loop-side seam from its top down: sewn, and left open by a loop and its ease at every stud.

    Raises Unmakeable when a sewn stretch would be shorter than practice allows.
    """
    half = stock.loop_width_mm / 2 + practice.busk_loop_ease_mm
    found = []
    at = 0.0
    for stud in studs_mm:
        if stud - half - at < practice.busk_least_sewn_mm:
            raise Unmakeable("front.busk", "busk.sewn_too_short", sewn_mm=stud - half - at, stud_mm=stud)
        found += [
            Interval(kind="sew", from_mm=at, to_mm=stud - half),
            Interval(kind="leave", from_mm=stud - half, to_mm=stud + half),
        ]
        at = stud + half
    found.append(Interval(kind="sew", from_mm=at, to_mm=seam_mm))
    return tuple(found)
