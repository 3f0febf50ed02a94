"""The front: what opens it, how far, and what is told where nothing fits (model, section 8)."""

from fuseau.craft.base.findings import Change, Finding, Message, finding, mend, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.closures.busk import Busk
from fuseau.craft.closures.choices import FrontChoices, OpeningKind
from fuseau.craft.closures.sewing_order import sewing_order
from fuseau.craft.materials.catalogue import ZIPS_MM, BoneKind

_AT_CF: tuple[OpeningKind, ...] = ("busk", "lacing")  # the others can lie on any seam
_TAPE_MM: dict[OpeningKind, float] = {"zip": 14.0, "hidden zip": 12.0, "hooks": 15.0}  # what lies on each side


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
        minutes=60.0,
        order=sewing_order("busk", "CF", thin=busk.thin),
        cautions=(message("caution.busk"),),
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
        order=sewing_order(choices.opening, choices.line),
        cautions=(message("caution.zip"),),
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
        order=sewing_order("lacing", "CF"),
        cautions=(message("caution.lacing"),),
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
