"""The front: what opens it, the busk that fits, where its seam is sewn and left open (model, section 8)."""

from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.findings import Change, Finding, Mend
from fuseau.craft.base.lengths import Length, Unit, format_length
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record, Unmakeable
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
    reason: str
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
    title: str
    why: str
    reach_mm: float
    top_z_mm: float | None = None
    bottom_z_mm: float | None = None
    separates: bool = False
    opens_low_mm: float | None = None
    opens_high_mm: float | None = None
    marks_z_mm: tuple[float, ...] = ()
    bought: tuple[str, ...] = ()
    minutes: float = 0.0
    flap_mm: tuple[float, float] | None = None
    order: tuple[str, ...] = ()
    cautions: tuple[str, ...] = ()


def choose_busk(cf_top_mm: float, cf_hem_mm: float, choices: FrontChoices, practice: Practice, unit: Unit) -> Busk:
    """The longest stock that fits CF between its clearances (or the maker's own), with its sew-and-leave table.

    `cf_top_mm`, `cf_hem_mm` are the heights of CF's stitch line ends above the waist.
    """
    length = cf_top_mm - cf_hem_mm
    room = length - 2 * practice.busk_clearance_mm
    if choices.opening != "busk":
        return Busk(length_mm=None, reason="No busk: the front closes otherwise.")
    left = f"CF is {format_length(length, unit)} long and leaves {format_length(max(room, 0), unit, hardware=True)}"
    sold = (choices.busk,) if choices.busk else BUSKS
    fitting = [stock for stock in sold if stock.length_mm <= room]
    if not fitting and choices.busk:
        own = format_length(choices.busk.length_mm, unit, hardware=True)
        return Busk(length_mm=None, reason=f"{left}; this busk is {own}.")
    if not fitting:
        shortest = format_length(BUSKS[0].length_mm, unit, hardware=True)
        return Busk(length_mm=None, reason=f"{left} for a busk; the shortest sold is {shortest}.")
    stock = max(fitting, key=lambda one: one.length_mm)
    start = practice.busk_clearance_mm + (room - stock.length_mm) / 2
    studs = tuple(start + place for place in stock.stud_places())
    clear = format_length(practice.busk_clearance_mm, unit, hardware=True)
    return Busk(
        length_mm=stock.length_mm,
        reason=f"{'The one measured' if choices.busk else 'The longest sold that'} leaves {clear} "
        f"clear at both ends of a CF of {format_length(length, unit)}.",
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
            raise Unmakeable(
                "front.busk", f"Only {stud - half - at:.1f} mm of CF would be sewn above the stud at {stud:.0f} mm."
            )
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
    choices: FrontChoices, seam: int, edge: tuple[float, float], busk: Busk, practice: Practice, unit: Unit
) -> Opening:
    """What opens, on a seam (0 is CF) that runs from the height `edge[0]` up to `edge[1]`, mm."""
    kind: OpeningKind = choices.opening
    if kind == "busk" and busk.length_mm is None:
        return _nothing(busk.reason, "busk")
    if kind == "none":
        return _nothing("She gets in by the lacing behind.", "none")
    low, high = edge
    made = {"busk": _with_busk, "zip": _with_zip, "hidden zip": _with_zip, "hooks": _with_hooks, "lacing": _laced}[kind]
    found = made(choices, low, high, busk, practice, unit)
    line = "CF" if kind in _AT_CF else choices.line
    flap = None
    if choices.flap:
        flap = (2 * found.reach_mm + practice.flap_more_mm, high - low)
    return found.model_copy(update={"line": line, "seam": 0 if line == "CF" else seam, "flap_mm": flap})


def _nothing(why: str, kind: OpeningKind) -> Opening:
    return Opening(
        kind=kind,
        line="CF",
        seam=0,
        title="No busk fits" if kind == "busk" else "No opening in front",
        why=why,
        reach_mm=0.0,
    )


def _with_busk(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice, unit: Unit) -> Opening:
    assert busk.length_mm is not None
    assert busk.top_z_mm is not None
    assert busk.width_mm is not None
    title = format_length(busk.length_mm, unit, hardware=True)
    return Opening(
        kind="busk",
        line="CF",
        seam=0,
        title=f"A busk of {title}",
        why=busk.reason,
        reach_mm=busk.width_mm / 2,
        top_z_mm=busk.top_z_mm,
        bottom_z_mm=busk.top_z_mm - busk.length_mm,
        separates=True,
        opens_low_mm=low,
        opens_high_mm=high,
        marks_z_mm=busk.studs_z_mm,
        bought=(f"split busk, {title}, {len(busk.studs_mm)} studs{', thin' if busk.thin else ''}",),
        minutes=60.0,
        order=(
            "Face or bag out both front panels along CF; mark the studs on both.",
            "Loop side: sew CF in stretches, backstitched at both ends, and leave a hole for every loop.",
            "Push the loops through from between the plies, lay the busk hard into the seam, and stitch close beside "
            "it with the zip foot.",
            "Knob side: make each hole with the awl, between the threads, and push the knobs through from the wrong "
            "side; close both halves to see that they meet.",
            "Stitch close beside the knob side too, by hand-wheel near the metal.",
            *(("Sew a channel for the flat steel beside it on each side: a thin busk bows without.",) * busk.thin),
            "Only now join the front panels to the others.",
        ),
        cautions=(
            "The busk goes in before the panels are joined. Wear eye protection when sewing beside it: needles break.",
        ),
    )


def _with_zip(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice, unit: Unit) -> Opening:
    hidden = choices.opening == "hidden zip"
    sold = ZIPS_MM["hidden" if hidden else "separating"]
    length = high - low
    room = length - 2 * practice.zip_clear_mm
    clear = format_length(practice.zip_clear_mm, unit, hardware=True)
    name = "hidden zip" if hidden else "separating zip"
    if not hidden and room < sold[0]:
        return Opening(
            kind=choices.opening,
            line=choices.line,
            seam=0,
            title="No zip fits",
            why=f"The seam is {format_length(length, unit)} long; the shortest separating zip sold is "
            f"{format_length(sold[0], unit, hardware=True)}.",
            reach_mm=_TAPE_MM["zip"],
        )
    if hidden:
        bought = next((one for one in sold if one >= room), sold[-1])
        opens = min(room, bought)
        bottom = high - practice.zip_clear_mm - opens
        how = (
            f"Cut down to {format_length(opens, unit, hardware=True)} at its lower end, with a new stop sewn over the "
            "teeth." * (bought > opens)
        )
        why = f"{how} It stays closed below: a zip that does not separate gives no more room at the hem.".strip()
    else:
        bought = max(one for one in sold if one <= room)
        opens, bottom = bought, high - practice.zip_clear_mm - bought
        why = f"The longest sold that leaves {clear} clear at both ends; what it lacks at the hem is sewn shut."
    short = format_length(bought, unit, hardware=True)
    return Opening(
        kind=choices.opening,
        line=choices.line,
        seam=0,
        title=f"A {name} of {short}",
        why=why,
        reach_mm=_TAPE_MM[choices.opening],
        top_z_mm=high - practice.zip_clear_mm,
        bottom_z_mm=bottom,
        separates=not hidden,
        opens_low_mm=low if not hidden else bottom,
        opens_high_mm=high,
        bought=(f"{name}, {short}",),
        minutes=40.0,
        order=(
            f"Sew the zip into its seam ({choices.line}) while both panels still lie flat; baste it first.",
            *(("Sew the seam below the zip from its stop to the hem.",) if hidden else ()),
            "Back the tape with the waist tape or a strip of the strength layer: a zip must not carry the pull alone.",
            "A hook and eye at the waist, inside, takes the strain while it is drawn up.",
            "Bones lie clear of the tape on both sides.",
        ),
        cautions=(
            "A zip under strain can burst or jam, and one behind or at the side is slow. In an emergency the laces are "
            "cut first; if there are none, cut the cloth beside the zip.",
        ),
    )


def _with_hooks(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice, unit: Unit) -> Opening:
    first, last = high - practice.zip_clear_mm, low + practice.zip_clear_mm
    count = max(2, round((first - last) / choices.hook_pitch_mm) + 1)
    places = tuple(first - (first - last) * i / (count - 1) for i in range(count))
    long = format_length(high - low + 2 * practice.tape_turning_mm, unit)
    return Opening(
        kind="hooks",
        line=choices.line,
        seam=0,
        title=f"{count} hooks and eyes",
        why=f"Every {format_length((first - last) / (count - 1), unit, hardware=True)}, the last as near to both edges "
        "as it goes.",
        reach_mm=_TAPE_MM["hooks"],
        top_z_mm=first,
        bottom_z_mm=last,
        separates=True,
        opens_low_mm=low,
        opens_high_mm=high,
        marks_z_mm=places,
        bought=(f"{count} hooks and eyes, or {long} of tape with them on",),
        minutes=30.0 + 2.0 * count,
        order=(
            f"Face both edges of {choices.line}; one reaches under the other.",
            "Sew the eyes first, then set each hook to meet its eye, hooked up.",
            "A bone close behind the hooks on each side keeps the edge from gaping between them.",
        ),
        cautions=("Hooks hold a garment that is not drawn in hard; under a firm pull they bend open one by one.",),
    )


def _laced(choices: FrontChoices, low: float, high: float, busk: Busk, practice: Practice, unit: Unit) -> Opening:
    return Opening(
        kind="lacing",
        line="CF",
        seam=0,
        title="Laced in front",
        why="Two flat bones and a row of holes on each side of CF, as behind: the wearer can dress alone.",
        reach_mm=0.0,
        top_z_mm=high,
        bottom_z_mm=low,
        separates=True,
        opens_low_mm=low,
        opens_high_mm=high,
        order=(
            "Both edges of CF are made as the lacing edge behind: fold, bone, holes, bone.",
            "The modesty panel goes in front as well, sewn to one side.",
            "Set the holes after the last fitting, both sides level.",
        ),
        cautions=("Lace in small steps from both ends; never draw the front harder than the back.",),
    )


def check_front(busk: Busk, opening: Opening, choices: FrontChoices, beside: BoneKind | None) -> list[Finding]:
    """Says why no busk or zip fits and what would do, and that a thin busk wants a flat steel beside it."""
    found = []
    if choices.opening == "busk" and busk.length_mm is None:
        found.append(
            Finding(
                code="no_busk_fits",
                stage="front",
                severity="caution",
                at="front.opening",
                where="CF",
                sentence=busk.reason + " It can stay closed in front: she then gets in by the lacing. Hooks and eyes, "
                "or lacing, fit any length.",
                mend=Mend(label="No opening in front", changes=(Change(at="front.opening", value="none"),)),
            )
        )
    if choices.opening == "zip" and opening.top_z_mm is None:
        found.append(
            Finding(
                code="no_zip_fits",
                stage="front",
                severity="caution",
                at="front.opening",
                where=choices.line,
                sentence=opening.why + " Hooks and eyes fit any length.",
                mend=Mend(label="Hooks and eyes", changes=(Change(at="front.opening", value="hooks"),)),
            )
        )
    if busk.thin and busk.length_mm is not None and (beside is None or beside.material != "flat steel"):
        found.append(
            Finding(
                code="thin_busk",
                stage="front",
                severity="caution",
                at="bones.beside_busk",
                where="CF",
                sentence="A thin busk bows at the waist: a flat steel beside it on each side holds it straight.",
                mend=Mend(
                    label="Flat steel beside the busk",
                    changes=(
                        Change(at="bones.beside_busk", value="flat_6"),
                        Change(at="bones.by_channel.CF", value=None),
                        Change(at="bones.on_seams.CF", value=None),
                    ),
                ),
            )
        )
    return found
