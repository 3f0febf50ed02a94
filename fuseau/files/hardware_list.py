"""The list: what is cut, bought and set, to tick off: bones by channel, busk, holes, lace, cloth, and the cautions."""

from collections.abc import Sequence

from reportlab.graphics.shapes import Circle, Drawing, Line, Rect, String
from reportlab.lib import colors
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm
from reportlab.platypus import Flowable, KeepTogether, Paragraph, Spacer, Table, TableStyle

from fuseau.craft.base.lengths import Unit, format_length, format_run
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from fuseau.files.lists import as_pdf, list_styles, safe, tick_box
from fuseau.files.paper import Paper
from fuseau.files.typeface import FONT
from fuseau.planning.plan import Plan
from fuseau.planning.told.cost import cost_of
from fuseau.planning.workshop.shopping import Shopping
from fuseau.wording import Words
from fuseau.wording.words import capital

CAUTIONS = (
    "Fuseau is a workshop aid and gives no medical advice. No reduction in pregnancy, after surgery, with hernia, "
    "reflux, heart, lung, spine or circulation trouble, or while still growing, unless a doctor has agreed.",
    "Stop and loosen at pain, numbness, tingling, breathlessness or dizziness. Never sleep, drive hard or do heavy "
    "exercise laced.",
    "A busk is not an emergency exit: keep blunt-nosed shears within reach, and someone near who knows.",
    "Wear eye protection when cutting steel, setting grommets and sewing beside a busk. File and cap every cut end.",
)

NECK_CAUTIONS = (
    "A neck garment is never tight: two fingers must slide under it everywhere; nothing presses on the throat or under "
    "the ears; it opens fast. Not for anyone with neck or airway trouble.",
)


def _applies(sentence: str, build: Build) -> bool:
    return sentence not in NECK_CAUTIONS or GARMENT_KINDS[build.kind].tied


def list_pdf(build: Build, planned: Plan, paper: Paper, unit: Unit, takes: Shopping | None = None) -> bytes:
    """The list, with what the garment takes in all where `takes` tells. Raises ValueError while nothing is drafted."""
    if planned.pattern is None or planned.busk is None or planned.aim is None:
        raise ValueError("there is no pattern yet")
    title, head, plain, small = list_styles(8.0)

    def hardware(length_mm: float) -> str:
        return format_length(length_mm, unit, hardware=True)

    say = Words(unit)
    strong = [say(f.sentence) for f in planned.findings if f.code == "reduction" and f.severity == "stop"]
    version = f"version {planned.pattern.version}" if planned.pattern.version else "draft"
    story = [
        Paragraph(safe(f"{build.brief.name}"), title),
        Paragraph(safe(f"{build.kind.capitalize()}, {version}, for {build.wearer.name or 'the wearer'}"), plain),
        *([Paragraph(safe(say(planned.verdict.sentence)), plain)] if planned.verdict else []),
        *(Paragraph(safe(sentence), head) for sentence in strong),
        Paragraph("Girths", head),
        _table(
            [
                ["", "body", "closed", "worn", "gap"],
                *(
                    [
                        level.label,
                        format_length(level.body_mm, unit),
                        "" if level.closed_mm is None else format_length(level.closed_mm, unit),
                        "" if level.worn_mm is None else format_length(level.worn_mm, unit),
                        "" if level.gap_mm is None else hardware(level.gap_mm),
                    ]
                    for level in planned.levels
                ),
            ]
        ),
        *(
            [
                Paragraph("Pieces beside the panels", head),
                *(
                    Paragraph(
                        safe(
                            f"{piece.name.capitalize()}, cut {piece.cut}: {piece.note}; "
                            + ", ".join(f"{name} {hardware(mm)}" for name, mm in piece.edges_mm.items())
                            + "."
                        ),
                        plain,
                    )
                    for piece in planned.pattern.pieces
                ),
            ]
            if planned.pattern.pieces
            else []
        ),
        *_bones(planned, unit, head),
        *_opening(planned, unit, head, plain),
        *_laced(planned, unit, head, plain),
        *_behind(planned, unit, head, plain),
        Spacer(1, 5),
        *(Paragraph(safe(sentence), small) for sentence in (*NECK_CAUTIONS, *CAUTIONS) if _applies(sentence, build)),
        *_goes_in(build, planned, head, plain),
        *(_taken(takes, unit, head) if takes is not None else []),
    ]
    return as_pdf(story, f"{build.brief.name}: list", paper)


def _bones(planned: Plan, unit: Unit, head: ParagraphStyle) -> list[Flowable]:
    """Bones by channel: of both halves, or of each where they differ."""
    halves = [("Bones, each twice", planned.bones)]
    if planned.left is not None:
        halves = [("Bones of the right half", planned.bones), ("Bones of the left half", planned.left.bones)]

    def hardware(length_mm: float) -> str:
        return format_length(length_mm, unit, hardware=True)

    flowables: list[Flowable] = []
    for title, bones in halves:
        rows = [
            [
                tick_box(),
                b.channel,
                b.kind_label,
                f"{hardware(b.length_mm)}{', two' if b.count > 1 else ''}",
                hardware(b.channel_width_mm),
                b.made + (f", tape {hardware(b.strip_mm)}" if b.strip_mm else ""),
            ]
            for b in bones
        ]
        flowables += [
            Paragraph(title, head),
            _table([["", "channel", "kind", "bone", "channel, stitch to stitch", "made"], *rows]),
        ]
    return flowables


_LOOPS = " The pull loops come out between the two rows at the waist."


def _laced(planned: Plan, unit: Unit, head: ParagraphStyle, plain: ParagraphStyle) -> list[Flowable]:
    """Holes and lace, behind and in front, as far as anything is laced."""
    holes = planned.holes
    if holes is None:
        return []

    def hardware(length_mm: float) -> str:
        return format_length(length_mm, unit, hardware=True)

    loops = any(step.way == "loop" for step in planned.walk)
    where = [("behind", holes.z_mm), ("in front", holes.front_z_mm)]
    flowables: list[Flowable] = [
        Paragraph("Holes", head),
        Paragraph(
            safe(
                f"{holes.count} of {holes.label}, {holes.spares} spare, {hardware(holes.inset_mm)} in from the fold. "
                f"The same on both sides.{_LOOPS if loops else ''}"
            ),
            plain,
        ),
        *(_hole_strip(heights, place, unit) for place, heights in where if heights),
        Paragraph("Lace", head),
    ]
    for lace, place in ((planned.lace, ""), (planned.front_lace, " in front")):
        if lace is not None:
            flowables.append(
                Paragraph(
                    safe(
                        f"{capital(holes.lace_label)}{place}, {holes.lace_mind}. "
                        f"Cut {format_run(lace.cut_mm, unit)}: {format_run(lace.worn_mm, unit)} worn"
                        f"{' with pull loops' if loops and not place else ''}, "
                        f"{format_run(lace.getting_in_mm, unit)} to get in."
                    ),
                    plain,
                )
            )
    return flowables


def _opening(planned: Plan, unit: Unit, head: ParagraphStyle, plain: ParagraphStyle) -> list[Paragraph]:
    """What opens in front, what is sewn and left for a busk, and each way in and out."""
    opening, busk = planned.opening, planned.busk
    assert opening is not None
    say = Words(unit)
    paragraphs = [Paragraph("Front", head), Paragraph(safe(f"{say(opening.title)}. {say(opening.why)}"), plain)]
    if busk is not None and busk.intervals:

        def hardware(length_mm: float) -> str:
            return format_length(length_mm, unit, hardware=True)

        parts = ", ".join(f"{i.kind} {hardware(i.from_mm)} to {hardware(i.to_mm)}" for i in busk.intervals)
        paragraphs.append(Paragraph(safe(f"Loop side, from the top stitch line down: {parts}."), plain))
    if opening.order:
        paragraphs.append(Paragraph(safe("In this order: " + " ".join(map(say, opening.order))), plain))
    paragraphs += [Paragraph("Getting in and out", head)]
    paragraphs += [Paragraph(safe(say(way.sentence)), plain) for way in planned.ways]
    paragraphs += [Paragraph(safe(say(caution)), plain) for caution in opening.cautions]
    return paragraphs


def _behind(planned: Plan, unit: Unit, head: ParagraphStyle, plain: ParagraphStyle) -> list[Paragraph]:
    """The modesty panel and the waist tape, where there are any."""
    panel, tape, paragraphs = planned.modesty, planned.waist_tape, []
    if panel is not None:
        bones = panel.bones_along_mm, panel.bones_across_mm
        along, across = (f"{len(bone)} of {format_length(bone[0], unit, hardware=True)}" for bone in bones)
        paragraphs += [
            Paragraph("Modesty panel", head),
            Paragraph(
                safe(
                    f"{format_length(panel.width_mm, unit)} by {format_length(panel.height_mm, unit)}, finished; "
                    f"bones of {panel.bone_label}: {along} along, {across} across."
                ),
                plain,
            ),
        ]
    if tape is not None:
        paragraphs += [
            Paragraph("Waist tape", head),
            Paragraph(safe(f"{_tape_cuts(tape.cuts_mm, unit)}, before the layer that hides it."), plain),
        ]
    return paragraphs


def _tape_cuts(cuts_mm: Sequence[float], unit: Unit) -> str:
    """The lengths of a waist tape: one all round, two alike, or right and left."""
    told = [format_length(mm, unit) for mm in cuts_mm]
    if len(told) == 1:
        return f"{told[0]} in one"
    return f"{told[0]} for each half" if told[0] == told[1] else f"{told[0]} right, {told[1]} left"


def _hole_strip(heights: Sequence[float], place: str, unit: Unit) -> Drawing:
    """Holes in a row from the top to the bottom, each with its height from the waist."""
    wide, high = 172 * mm, 15 * mm
    top, low = max(*heights, 0.0) + 8, min(*heights, 0.0) - 8
    strip = Drawing(wide, high)

    def at(z: float) -> float:
        return float((top - z) / (top - low) * wide)

    strip.add(Rect(0, 2 * mm, wide, 4 * mm, strokeWidth=0.4, fillColor=None))
    strip.add(Line(at(0), 1 * mm, at(0), 7 * mm, strokeWidth=0.8))
    strip.add(String(at(0), -1, "waist", fontName=FONT, fontSize=6.5, textAnchor="middle"))
    strip.add(String(0, -1, f"top, {place}", fontName=FONT, fontSize=6.5))
    for i, z in enumerate(sorted(heights, reverse=True)):
        strip.add(Circle(at(z), 4 * mm, 1 * mm, fillColor=None, strokeWidth=0.6))
        label = format_length(z, unit, hardware=True, bare=True)
        strip.add(String(at(z), (8 + 3 * (i % 2)) * mm, label, fontName=FONT, fontSize=6.5, textAnchor="middle"))
    strip.add(String(wide, -1, "in" if unit == "in" else "mm", fontName=FONT, fontSize=6.5, textAnchor="end"))
    return strip


def _goes_in(build: Build, planned: Plan, head: ParagraphStyle, plain: ParagraphStyle) -> list[Flowable]:
    """What goes into it, in money: the same sum as on its card."""
    cost = cost_of(build, planned)
    terms = " + ".join(f"{name} {amount:.2f}" for name, amount in cost.parts.items())
    return [Paragraph("What goes into it, about", head), Paragraph(safe(f"{terms} = {cost.in_all:.2f} in all."), plain)]


def _taken(takes: Shopping, unit: Unit, head: ParagraphStyle) -> list[Flowable]:
    """Everything it takes, to be ticked off, with what the shops that Fuseau knows ask for it at least."""
    rows: list[list[str | Drawing]] = []
    total = 0.0
    for line in takes.lines:
        price = min((choice.price for choice in line.choices), default=None)
        total += price or 0.0
        if line.each_mm:
            amount = f"{line.amount:g} of {format_length(line.each_mm, unit, hardware=True)}"
        elif line.article.measure == "length":
            amount = format_run(line.amount, unit)
        else:
            amount = f"{line.amount:g}"
        wide = f", {format_length(line.width_mm, unit)} wide" if line.width_mm else ""
        rows.append([tick_box(), line.article.label + wide, amount, "" if price is None else f"{price:.2f}"])
    if not rows:
        return []
    rows.append(["", "all of it bought anew, in packs and lengths as they are sold", "", f"{total:.2f}"])
    return [
        KeepTogether(
            [Paragraph("What it still takes", head), _table([["", "article", "amount", "bought anew, about"], *rows])]
        )
    ]


def _table(rows: Sequence[Sequence[str | Drawing]]) -> Table:
    ticked = any(isinstance(row[0], Drawing) for row in rows)
    widths = [14.0, *[None] * (len(rows[0]) - 1)] if ticked else None
    table = Table(
        [list(row) for row in rows], hAlign="LEFT", rowHeights=[11] * len(rows), colWidths=widths, repeatRows=1
    )
    table.setStyle(
        TableStyle(
            [
                ("FONT", (0, 0), (-1, -1), FONT, 8),
                ("FONT", (0, 0), (-1, 0), FONT, 7),
                ("TEXTCOLOR", (0, 0), (-1, 0), colors.HexColor("#555555")),
                ("LINEBELOW", (0, 0), (-1, 0), 0.4, colors.black),
                ("LEFTPADDING", (0, 0), (0, -1), 0),
                ("RIGHTPADDING", (0, 0), (-1, -1), 14),
                ("TOPPADDING", (0, 0), (-1, -1), 0),
                ("BOTTOMPADDING", (0, 0), (-1, -1), 1),
            ]
        )
    )
    return table
