"""The front: the busk that fits, where its seam is sewn and left open, and getting in (model, section 8)."""

import math
from typing import Literal

from fuseau.craft.findings import Change, Finding, Mend
from fuseau.craft.fit import Fit
from fuseau.craft.lengths import Unit, format_length
from fuseau.craft.notions import BUSKS, BuskStock
from fuseau.craft.practice import Practice
from fuseau.craft.record import Record

Opening = Literal["busk", "none"]


class FrontChoices(Record):
    """How the front opens."""

    opening: Opening = "busk"


class Interval(Record):
    """A stretch of the loop-side seam, measured from the top stitch line of CF down, mm."""

    kind: Literal["sew", "leave"]
    from_mm: float
    to_mm: float


class Busk(Record):
    """The busk that fits CF, or the reason why none does (`length_mm` None)."""

    length_mm: float | None
    reason: str
    width_mm: float | None = None
    top_z_mm: float | None = None
    studs_mm: tuple[float, ...] = ()
    studs_z_mm: tuple[float, ...] = ()
    waist_from_top_mm: float | None = None
    intervals: tuple[Interval, ...] = ()


class GettingIn(Record):
    """How she gets in: the way, the gap it needs at the back, and whether she can alone."""

    way: Literal["by the busk", "up over the hips", "round the neck"]
    gap_mm: float
    alone: bool
    sentence: str


def choose_busk(cf_top_mm: float, cf_hem_mm: float, choices: FrontChoices, practice: Practice, unit: Unit) -> Busk:
    """The longest stock that fits CF between its clearances, with its sew-and-leave table.

    `cf_top_mm`, `cf_hem_mm` are the heights of CF's stitch line ends above the waist.
    """
    length = cf_top_mm - cf_hem_mm
    room = length - 2 * practice.busk_clearance_mm
    if choices.opening == "none":
        return Busk(length_mm=None, reason="No opening in front: she gets in by the lacing at the back.")
    fitting = [stock for stock in BUSKS if stock.length_mm <= room]
    if not fitting:
        return Busk(
            length_mm=None,
            reason=f"CF is {format_length(length, unit)} long and leaves "
            f"{format_length(max(room, 0), unit, hardware=True)} for a busk; the shortest sold is "
            f"{format_length(BUSKS[0].length_mm, unit, hardware=True)}.",
        )
    stock = max(fitting, key=lambda one: one.length_mm)
    start = practice.busk_clearance_mm + (room - stock.length_mm) / 2
    studs = tuple(start + place for place in stock.stud_places())
    return Busk(
        length_mm=stock.length_mm,
        reason=f"The longest sold that leaves {format_length(practice.busk_clearance_mm, unit, hardware=True)} "
        f"clear at both ends of a CF of {format_length(length, unit)}.",
        width_mm=stock.width_mm,
        top_z_mm=cf_top_mm - start,
        studs_mm=studs,
        studs_z_mm=tuple(cf_top_mm - stud for stud in studs),
        waist_from_top_mm=cf_top_mm - start,
        intervals=sew_and_leave(stock, studs, length, practice),
    )


def sew_and_leave(
    stock: BuskStock, studs_mm: tuple[float, ...], seam_mm: float, practice: Practice
) -> tuple[Interval, ...]:
    """The loop-side seam from its top down: sewn, and left open by a loop and its ease at every stud.

    Raises ValueError when a sewn stretch would be shorter than practice allows.
    """
    half = stock.loop_width_mm / 2 + practice.busk_loop_ease_mm
    found = []
    at = 0.0
    for stud in studs_mm:
        if stud - half - at < practice.busk_least_sewn_mm:
            raise ValueError(f"only {stud - half - at:.1f} mm would be sewn above the stud at {stud:.0f} mm")
        found += [
            Interval(kind="sew", from_mm=at, to_mm=stud - half),
            Interval(kind="leave", from_mm=stud - half, to_mm=stud + half),
        ]
        at = stud + half
    found.append(Interval(kind="sew", from_mm=at, to_mm=seam_mm))
    return tuple(found)


def getting_in(fitted: Fit, busk: Busk, practice: Practice, unit: Unit, *, round_the_neck: bool = False) -> GettingIn:
    """The gap at the back that getting in needs, by the busk, up over the hips, or round the neck from the front.

    By the busk the garment must hang loose on the body, unlaced, with room for the hands. Over the hips its
    narrowest girth must open to the widest, less what the body gives.
    """
    take_up = fitted.take_up_mm
    if round_the_neck:
        across = max(level.body_mm for level in fitted.levels) / math.pi
        gap = max(across + practice.getting_in_ease_mm - take_up, fitted.shape.mean_mm)
        return GettingIn(
            way="round the neck",
            gap_mm=gap,
            alone=False,
            sentence=f"Laid round the neck from the front: the back has to open to {format_length(gap, unit)}, or the "
            "lace comes out. Nobody reaches the back of her own neck well: have a helper, and shears at hand.",
        )
    if busk.length_mm is not None:
        gap = max(
            level.body_mm + practice.getting_in_ease_mm + take_up - level.closed_mm
            for level in fitted.levels
            if level.gap_mm is not None
        )
        gap = max(gap, fitted.shape.mean_mm + practice.getting_in_ease_mm)
        return GettingIn(
            way="by the busk",
            gap_mm=gap,
            alone=True,
            sentence=f"In by the busk, alone: open the lace to {format_length(gap, unit)} behind, close the "
            "studs from the second up, draw the loops at the waist.",
        )
    widest = max(level.body_mm * 0.97 for level in fitted.levels)
    narrowest = min(level.closed_mm for level in fitted.levels)
    gap = max(0.0, widest + take_up - narrowest)
    return GettingIn(
        way="up over the hips",
        gap_mm=gap,
        alone=True,
        sentence=f"Up over the hips: the back has to open to {format_length(gap, unit)}.",
    )


def check_front(busk: Busk, choices: FrontChoices) -> list[Finding]:
    """Says why no busk fits, and the caution that belongs to one."""
    if choices.opening == "busk" and busk.length_mm is None:
        return [
            Finding(
                code="no_busk_fits",
                stage="front",
                severity="caution",
                at="front.opening",
                where="CF",
                sentence=busk.reason + " It can stay closed in front: she then gets in by the lacing.",
                mend=Mend(label="No opening in front", changes=(Change(at="front.opening", value="none"),)),
            )
        ]
    return []
