"""The front: what opens it, how far, and what is told where nothing fits (model, section 8)."""

import math
from typing import NamedTuple

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Finding, Message, finding, mend, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.closures.busk import Busk
from fuseau.craft.closures.choices import FrontChoices, Half, OpeningKind
from fuseau.craft.closures.sewing_order import sewing_order
from fuseau.craft.materials.catalogue import ZIPS_MM, BoneKind
from fuseau.craft.materials.minutes import MINUTES

_AT_CF: tuple[OpeningKind, ...] = ("busk", "lacing")  # the others can lie on any seam
_TAPE_MM: dict[OpeningKind, float] = {"zip": 14.0, "hidden zip": 12.0, "hooks": 15.0}  # what lies on each side
_SHORTEST_MM = 40.0  # of a zip or a row of hooks
_HOOK_MM = 8.0  # from hook to hook at the least
_MEETS_MM = 1.0
_COMES_APART_MM = 30.0  # what is closed so near to the hem opens the hem too


class Opening(Record):
    """What opens, beside the lacing behind: where it lies, how far it opens, what is bought, in which order it is sewn.

    Heights are from the waist: the line goes from `low_z_mm` to `high_z_mm`; `reach_mm` is what of it lies on each side
    of its line. `opens_low_mm`, `opens_high_mm`: between them the garment comes apart (None: nowhere); one that
    `separates` comes apart altogether. `half` is where a side or seam opens (None: on CF or CB).
    """

    kind: OpeningKind
    line: str
    seam: int
    low_z_mm: float = 0.0
    high_z_mm: float = 0.0
    title: Message
    why: Message
    reach_mm: float
    top_z_mm: float | None = None
    bottom_z_mm: float | None = None
    separates: bool = False
    opens_low_mm: float | None = None
    opens_high_mm: float | None = None
    marks_z_mm: tuple[float, ...] = ()
    bought: tuple[Message, ...] = ()
    minutes: float = 0.0
    half: Half | None = None
    flap_mm: tuple[float, float] | None = None
    order: tuple[Message, ...] = ()
    cautions: tuple[Message, ...] = ()


class SewnShut(NamedTuple):
    """Whether CF, and whether CB, is a seam from top line to hem: neither opened nor laced."""

    at_cf: bool
    at_cb: bool


def sewn_shut(opening: Opening | None, *, laced: bool) -> SewnShut:
    """Which middle lines are seams, with what opens, and where CB is `laced`."""
    opens = opening.line if opening is not None and opening.kind != "none" else ""
    return SewnShut(at_cf=opens != "CF", at_cb=opens != "CB" and not laced)


def plan_opening(
    choices: FrontChoices, seam: int, edge: tuple[float, float], busk: Busk, practice: Practice
) -> Opening:
    """What opens, on a seam (0 is CF, the last panel's own number CB) that runs from the height `edge[0]` to `edge[1]`.

    Raises Unmakeable for a zip or hooks that can't be where they are wished.
    """
    kind: OpeningKind = choices.opening
    if kind == "busk" and busk.length_mm is None:
        return _nothing(message("opening.no_busk_fits"), busk.reason, "busk")
    if kind == "none":
        return _nothing(message("opening.none"), message("opening.none.why"), "none")
    low, high = edge
    made = {"busk": _with_busk, "zip": _with_zip, "hidden zip": _with_zip, "hooks": _with_hooks, "lacing": _laced}[kind]
    found = made(choices, low, high, busk, practice)
    line = "CF" if kind in _AT_CF else choices.line
    flap = None
    if choices.flap:
        flap = (2 * found.reach_mm + practice.flap_more_mm, high - low)
    half = choices.half if line not in ("CF", "CB") else None
    twice = 2.0 if half == "both" else 1.0
    return found.model_copy(
        update={
            "line": line,
            "seam": 0 if line == "CF" else seam,
            "low_z_mm": low,
            "high_z_mm": high,
            "flap_mm": flap,
            "half": half,
            "minutes": twice * found.minutes,
            "bought": (*found.bought, message("bought.twice")) if half == "both" else found.bought,
        }
    )


def _nothing(title: Message, why: Message, kind: OpeningKind) -> Opening:
    return Opening(kind=kind, line="CF", seam=0, title=title, why=why, reach_mm=0.0)


def _with_busk(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice) -> Opening:
    assert busk.length_mm is not None
    assert busk.top_z_mm is not None
    assert busk.width_mm is not None
    return Opening(
        kind="busk",
        line="CF",
        seam=0,
        title=message("opening.busk", length_mm=busk.length_mm),
        why=busk.reason,
        reach_mm=busk.width_mm / 2,
        top_z_mm=busk.top_z_mm,
        bottom_z_mm=busk.top_z_mm - busk.length_mm,
        separates=True,
        opens_low_mm=low,
        opens_high_mm=high,
        marks_z_mm=busk.studs_z_mm,
        bought=(
            message(
                "bought.thin_busk" if busk.thin else "bought.busk", length_mm=busk.length_mm, studs=len(busk.studs_mm)
            ),
        ),
        minutes=MINUTES["busk"],
        order=sewing_order("busk", "CF", thin=busk.thin),
        cautions=(message("caution.busk"),),
    )


def _ends(choices: FrontChoices, low: float, high: float, practice: Practice) -> tuple[float, float]:
    """Where a zip or hooks begin and end: as wished, else at the usual distance from the edges. Raises Unmakeable."""
    top = high - (practice.zip_clear_mm if choices.from_top_mm is None else choices.from_top_mm)
    bottom = low + (practice.zip_clear_mm if choices.from_hem_mm is None else choices.from_hem_mm)
    if top - bottom < _SHORTEST_MM:
        field = "from_hem_mm" if (choices.from_hem_mm or 0.0) > (choices.from_top_mm or 0.0) else "from_top_mm"
        other = high - top if field == "from_hem_mm" else bottom - low
        most = high - low - other - _SHORTEST_MM
        if choices.from_hem_mm is None and choices.from_top_mm is None:
            raise Unmakeable("front.opening", "opening.line_too_short", line_mm=high - low)
        raise Unmakeable(f"front.{field}", "opening.ends_meet", line_mm=high - low, most_mm=max(0.0, most))
    return top, bottom


def _zip_ends(choices: FrontChoices, low: float, high: float, practice: Practice) -> tuple[float, float, float | None]:
    """Where a zip begins and ends, and its length where it is the maker's own. Raises Unmakeable for one too long."""
    top, bottom = _ends(choices, low, high, practice)
    own = choices.zip_mm
    if own is None:
        return top, bottom, None
    both = choices.from_top_mm is not None and choices.from_hem_mm is not None
    if own > top - bottom + _MEETS_MM or (both and own < top - bottom - _MEETS_MM):
        code = "zip.longer_than_line" if own > top - bottom else "zip.shorter_than_ends"
        raise Unmakeable("front.zip_mm", code, zip_mm=own, room_mm=top - bottom)
    from_the_hem = choices.from_hem_mm is not None or choices.opening == "zip"  # there it comes apart
    if from_the_hem and choices.from_top_mm is None:
        return bottom + own, bottom, own
    return top, top - own, own


def _with_zip(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice) -> Opening:
    hidden = choices.opening == "hidden zip"
    sold = ZIPS_MM["hidden" if hidden else "separating"]
    top, bottom, own = _zip_ends(choices, low, high, practice)
    room = top - bottom
    longer = [one for one in sold if one >= room - _MEETS_MM]
    if own is not None:
        bought, why = own, message("zip.own")
    elif longer:  # a separating one is shortened from its top, a closed one from its bottom
        bought = min(longer)
        cut = bought - room
        code = "zip.as_sold" if cut < _MEETS_MM else "zip.shortened.bottom" if hidden else "zip.shortened.top"
        why = message(code, cut_mm=cut, opens_mm=room)
    else:  # none is so long: a separating one begins at the hem, where it comes apart
        bought = sold[-1]
        top, bottom = (top, top - bought) if hidden else (bottom + bought, bottom)
        why = message("zip.longest_sold", lacks_mm=room - bought)
    apart = not hidden and bottom - low <= _COMES_APART_MM
    name = "hidden_zip" if hidden else "zip"
    return Opening(
        kind=choices.opening,
        line=choices.line,
        seam=0,
        title=message(f"opening.{name}", length_mm=top - bottom),
        why=why,
        reach_mm=_TAPE_MM[choices.opening],
        top_z_mm=top,
        bottom_z_mm=bottom,
        separates=apart,
        opens_low_mm=low if apart else bottom,
        opens_high_mm=high,
        bought=(message(f"bought.{name}", length_mm=bought),),
        minutes=MINUTES["hidden zip" if hidden else "separating zip"],
        order=sewing_order(choices.opening, choices.line),
        cautions=(message("caution.zip"),),
    )


def _with_hooks(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice) -> Opening:
    first, last = _ends(choices, low, high, practice)
    count = choices.hook_count or max(2, round((first - last) / choices.hook_pitch_mm) + 1)
    pitch = (first - last) / (count - 1)
    if choices.hook_count is not None and pitch < _HOOK_MM:
        most = 1 + math.floor((first - last) / _HOOK_MM)
        raise Unmakeable("front.hook_count", "hooks.too_many", count=count, most=most, apart_mm=_HOOK_MM)
    places = tuple(first - pitch * i for i in range(count))
    return Opening(
        kind="hooks",
        line=choices.line,
        seam=0,
        title=message("opening.hooks", count=count),
        why=message("hooks.pitch", pitch_mm=pitch),
        reach_mm=_TAPE_MM["hooks"],
        top_z_mm=first,
        bottom_z_mm=last,
        separates=last - low <= _COMES_APART_MM,
        opens_low_mm=low if last - low <= _COMES_APART_MM else last,
        opens_high_mm=high,
        marks_z_mm=places,
        bought=(message("bought.hooks", count=count, tape_mm=high - low + 2 * practice.tape_turning_mm),),
        minutes=count * MINUTES["hooks by hand"],
        order=sewing_order("hooks", choices.line),
        cautions=(message("caution.hooks"),),
    )


def _laced(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice) -> Opening:
    return Opening(
        kind="lacing",
        line="CF",
        seam=0,
        title=message("opening.lacing"),
        why=message("opening.lacing.why"),
        reach_mm=0.0,
        top_z_mm=high,
        bottom_z_mm=low,
        separates=True,
        opens_low_mm=low,
        opens_high_mm=high,
        minutes=2 * MINUTES["facing"],
        order=sewing_order("lacing", "CF"),
        cautions=(message("caution.lacing"),),
    )


def check_front(busk: Busk, opening: Opening, choices: FrontChoices, beside: BoneKind | None) -> list[Finding]:
    """Says why no busk or zip fits and what would do, and that a thin busk wants a flat steel beside it."""
    findings = []
    if choices.opening == "busk" and busk.length_mm is None:
        findings.append(
            finding(
                "no_busk_fits",
                "front",
                "caution",
                at="front.opening",
                where="CF",
                mend=mend("mend.no_opening", Change(at="front.opening", value="none")),
                said=f"no_busk_fits.{busk.reason.code}",
                also=busk.reason.given,
            )
        )
    if busk.thin and busk.length_mm is not None and not (beside and beside.stuff.carries_edge):
        changes = (
            Change(at="bones.beside_busk", value="flat_6"),
            Change(at="bones.by_channel.CF", value=None),
            Change(at="bones.on_seams.CF", value=None),
        )
        findings.append(
            finding(
                "thin_busk",
                "front",
                "caution",
                at="bones.beside_busk",
                where="CF",
                mend=mend("mend.steel_beside_busk", *changes),
            )
        )
    return findings
