"""The front: what opens it, the busk that fits, where its seam is sewn and left open (model, section 8)."""

from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Finding, Message, finding, mend, message
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.materials.catalogue import BUSKS, ZIPS_MM, BoneKind, BuskStock

OpeningKind = Literal["busk", "zip", "hidden zip", "hooks", "lacing", "none"]

OPENING_LABELS: dict[OpeningKind, str] = {
    "busk": "split busk",
    "zip": "separating zip",
    "hidden zip": "hidden zip",
    "hooks": "hooks and eyes",
    "lacing": "laced in front",
    "none": "no opening",
}
_AT_CF: tuple[OpeningKind, ...] = ("busk", "lacing")  # the others can lie on any seam
_TAPE_MM: dict[OpeningKind, float] = {"zip": 14.0, "hidden zip": 12.0, "hooks": 15.0}  # what lies on each side


class FrontChoices(Record):
    """How the garment opens, apart from the lacing behind.

    `line`: CF, side, or a seam (2·3), for zips and hooks. `busk` is one of the maker's own, measured; None takes the
    longest of those sold that fits, and `thin` says that it bends by hand.
    """

    opening: OpeningKind = "busk"
    line: Annotated[str, Field(pattern=r"^(CF|side|[1-8]·[2-9])$")] = "CF"
    busk: BuskStock | None = None
    thin: bool = False
    flap: bool = Field(default=False, description="A flap behind that hides the opening.")
    hook_pitch_mm: Annotated[float, Length("the pitch of hooks", 8, 40, hardware=True)] = 15.0


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


class Opening(Record):
    """What opens, beside the lacing behind: where it lies, how far it opens, what is bought, in which order it is sewn.

    Heights are from the waist; `reach_mm` is what of it lies on each side of its line. `opens_low_mm`, `opens_high_mm`:
    between them the garment comes apart (None: nowhere); one that `separates` comes apart altogether.
    """

    kind: OpeningKind
    line: str
    seam: int
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
    flap_mm: tuple[float, float] | None = None
    order: tuple[Message, ...] = ()
    cautions: tuple[Message, ...] = ()


def choose_busk(cf_top_mm: float, cf_hem_mm: float, choices: FrontChoices, practice: Practice) -> Busk:
    """The longest stock that fits CF between its clearances (or the maker's own), with its sew-and-leave table.

    `cf_top_mm`, `cf_hem_mm` are the heights of CF's stitch line ends above the waist.
    """
    length = cf_top_mm - cf_hem_mm
    room = length - 2 * practice.busk_clearance_mm
    if choices.opening != "busk":
        return Busk(length_mm=None, reason=message("busk.otherwise"))
    sold = (choices.busk,) if choices.busk else BUSKS
    fitting = [stock for stock in sold if stock.length_mm <= room]
    if not fitting:
        code = "busk.own_too_long" if choices.busk else "busk.none_short_enough"
        shortest = min(stock.length_mm for stock in sold)
        return Busk(length_mm=None, reason=message(code, cf_mm=length, room_mm=max(room, 0), shortest_mm=shortest))
    stock = max(fitting, key=lambda one: one.length_mm)
    start = practice.busk_clearance_mm + (room - stock.length_mm) / 2
    studs = tuple(start + place for place in stock.stud_places())
    code = "busk.own_fits" if choices.busk else "busk.longest_sold"
    return Busk(
        length_mm=stock.length_mm,
        reason=message(code, clear_mm=practice.busk_clearance_mm, cf_mm=length),
        width_mm=stock.width_mm,
        loop_width_mm=stock.loop_width_mm,
        thin=choices.thin or stock.thin,
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


def reach_of(choices: FrontChoices, busk: Busk) -> float:
    """How far what closes CF reaches on each side of it, mm; 0 where CF is a fold or the opening lies elsewhere."""
    if busk.length_mm is not None and busk.width_mm is not None:
        return busk.width_mm / 2
    return _TAPE_MM.get(choices.opening, 0.0) if choices.line == "CF" else 0.0


def plan_opening(
    choices: FrontChoices, seam: int, edge: tuple[float, float], busk: Busk, practice: Practice
) -> Opening:
    """What opens, on a seam (0 is CF) that runs from the height `edge[0]` up to `edge[1]`, mm."""
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
    return found.model_copy(update={"line": line, "seam": 0 if line == "CF" else seam, "flap_mm": flap})


def _nothing(title: Message, why: Message, kind: OpeningKind) -> Opening:
    return Opening(kind=kind, line="CF", seam=0, title=title, why=why, reach_mm=0.0)


def _messages(*codes: str, **given: str) -> tuple[Message, ...]:
    return tuple(message(code, **given) for code in codes)


def _with_busk(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice) -> Opening:
    assert busk.length_mm is not None
    assert busk.top_z_mm is not None
    assert busk.width_mm is not None
    steps = ["face", "loop_side", "loops", "knob_side", "knob_stitch", *(["thin"] if busk.thin else []), "join"]
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
        minutes=60.0,
        order=_messages(*(f"order.busk.{step}" for step in steps)),
        cautions=_messages("caution.busk"),
    )


def _with_zip(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice) -> Opening:
    hidden = choices.opening == "hidden zip"
    sold = ZIPS_MM["hidden" if hidden else "separating"]
    length = high - low
    room = length - 2 * practice.zip_clear_mm
    if not hidden and room < sold[0]:
        return Opening(
            kind=choices.opening,
            line=choices.line,
            seam=0,
            title=message("opening.no_zip_fits"),
            why=message("zip.none_short_enough", seam_mm=length, shortest_mm=sold[0]),
            reach_mm=_TAPE_MM["zip"],
        )
    name = "hidden_zip" if hidden else "zip"
    if hidden:
        bought = next((one for one in sold if one >= room), sold[-1])
        opens = min(room, bought)
        bottom = high - practice.zip_clear_mm - opens
        why = message("zip.cut_down" if bought > opens else "zip.stays_closed_below", opens_mm=opens)
    else:
        bought = max(one for one in sold if one <= room)
        opens, bottom = bought, high - practice.zip_clear_mm - bought
        why = message("zip.longest_sold", clear_mm=practice.zip_clear_mm)
    steps = ["sew", *(["below"] if hidden else []), "back", "hook", "bones"]
    return Opening(
        kind=choices.opening,
        line=choices.line,
        seam=0,
        title=message(f"opening.{name}", length_mm=bought),
        why=why,
        reach_mm=_TAPE_MM[choices.opening],
        top_z_mm=high - practice.zip_clear_mm,
        bottom_z_mm=bottom,
        separates=not hidden,
        opens_low_mm=low if not hidden else bottom,
        opens_high_mm=high,
        bought=(message(f"bought.{name}", length_mm=bought),),
        minutes=40.0,
        order=_messages(*(f"order.zip.{step}" for step in steps), line=choices.line),
        cautions=_messages("caution.zip"),
    )


def _with_hooks(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice) -> Opening:
    first, last = high - practice.zip_clear_mm, low + practice.zip_clear_mm
    count = max(2, round((first - last) / choices.hook_pitch_mm) + 1)
    places = tuple(first - (first - last) * i / (count - 1) for i in range(count))
    return Opening(
        kind="hooks",
        line=choices.line,
        seam=0,
        title=message("opening.hooks", count=count),
        why=message("hooks.pitch", pitch_mm=(first - last) / (count - 1)),
        reach_mm=_TAPE_MM["hooks"],
        top_z_mm=first,
        bottom_z_mm=last,
        separates=True,
        opens_low_mm=low,
        opens_high_mm=high,
        marks_z_mm=places,
        bought=(message("bought.hooks", count=count, tape_mm=high - low + 2 * practice.tape_turning_mm),),
        minutes=30.0 + 2.0 * count,
        order=_messages("order.hooks.face", "order.hooks.eyes", "order.hooks.bone", line=choices.line),
        cautions=_messages("caution.hooks"),
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
        order=_messages("order.lacing.edges", "order.lacing.modesty", "order.lacing.holes"),
        cautions=_messages("caution.lacing"),
    )


def check_front(busk: Busk, opening: Opening, choices: FrontChoices, beside: BoneKind | None) -> list[Finding]:
    """Says why no busk or zip fits and what would do, and that a thin busk wants a flat steel beside it."""
    found = []
    if choices.opening == "busk" and busk.length_mm is None:
        found.append(
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
    if choices.opening == "zip" and opening.top_z_mm is None:
        found.append(
            finding(
                "no_zip_fits",
                "front",
                "caution",
                at="front.opening",
                where=choices.line,
                mend=mend("mend.hooks", Change(at="front.opening", value="hooks")),
                also=opening.why.given,
            )
        )
    if busk.thin and busk.length_mm is not None and (beside is None or beside.material != "flat steel"):
        changes = (
            Change(at="bones.beside_busk", value="flat_6"),
            Change(at="bones.by_channel.CF", value=None),
            Change(at="bones.on_seams.CF", value=None),
        )
        found.append(
            finding(
                "thin_busk",
                "front",
                "caution",
                at="bones.beside_busk",
                where="CF",
                mend=mend("mend.steel_beside_busk", *changes),
            )
        )
    return found
