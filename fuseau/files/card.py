"""The card of a garment on one page: measures, what it is made of, what it took, and what is said of it."""

import io
from collections.abc import Iterator

from reportlab.lib import colors
from reportlab.lib.pagesizes import A4, LETTER
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm
from reportlab.platypus import Flowable, Paragraph, SimpleDocTemplate, Table, TableStyle

from fuseau.craft.base.lengths import Unit, format_length, format_run
from fuseau.document.build import Build
from fuseau.files.paper import Paper
from fuseau.files.tiles import BOLD, FONT, fonts
from fuseau.planning.record import Card
from fuseau.wording import Words


def card_pdf(build: Build, card: Card, paper: Paper, unit: Unit) -> bytes:
    """The card as a PDF. What is not known is left out."""
    fonts()
    target = io.BytesIO()
    document = SimpleDocTemplate(
        target,
        pagesize=A4 if paper == "a4" else LETTER,
        leftMargin=18 * mm,
        rightMargin=18 * mm,
        topMargin=14 * mm,
        bottomMargin=14 * mm,
        title=f"{build.brief.name}: card",
        invariant=True,
    )
    title = ParagraphStyle("title", fontName=BOLD, fontSize=16, leading=20)
    head = ParagraphStyle("head", fontName=BOLD, fontSize=11, leading=14, spaceBefore=9, spaceAfter=2)
    plain = ParagraphStyle("plain", fontName=FONT, fontSize=9, leading=11.8)
    version = f", version {card.version}" if card.version else ""
    done = build.record.finished_on
    story: list[Flowable] = [
        Paragraph(_safe(build.brief.name), title),
        Paragraph(_safe(f"{card.kind.capitalize()}{version}, for {card.wearer or 'the wearer'}"), plain),
        Paragraph(_safe(build.brief.character), plain),
        Paragraph(f"Finished on {done.isoformat()}" if done else "Not finished yet", plain),
    ]
    for name, rows in (("Measures", list(_measures(card, unit))), ("Made of", list(_made_of(card, unit)))):
        story += [Paragraph(name, head), _table(rows, plain)]
    for name, lines in (
        ("Mock-ups", [_tried(card, i, unit) for i in range(len(card.tried))]),
        ("Likes", list(build.record.likes)),
        ("Would change", list(build.record.would_change)),
        ("Worn", [*_wears(build, unit), *(Words(unit)(one) for one in card.says)]),
    ):
        if lines:
            story.append(Paragraph(name, head))
            story += [Paragraph(f"– {_safe(line)}", plain) for line in lines]
    document.build(story)
    return target.getvalue()


def _measures(card: Card, unit: Unit) -> Iterator[tuple[str, str]]:
    for name, length in (
        ("closed waist", card.closed_waist_mm),
        ("worn waist", card.worn_waist_mm),
        ("reduction", card.reduction_mm),
        ("gap behind", card.gap_mm),
        ("CF length", card.cf_mm),
        ("side length", card.side_mm),
        ("CB length", card.cb_mm),
    ):
        if length is not None:
            yield name, format_length(length, unit)


def _made_of(card: Card, unit: Unit) -> Iterator[tuple[str, str]]:
    if card.panels:
        yield "panels", f"{card.panels} in each half"
    yield "plies", "; ".join(card.plies) or "none yet"
    yield "made up", card.method
    for bones in card.bones:
        yield "bones", f"{bones.count} × {bones.kind}"
    if card.opening is not None:
        yield "opens by", Words(unit)(card.opening)
    if card.rows:
        yield "holes", f"{card.rows} rows, {card.holes}"
    if card.lace and card.lace_mm:
        yield "lace", f"{card.lace}, {format_run(card.lace_mm, unit)}"
    if card.logged_min:
        yield "hours at it", f"{card.logged_min / 60:.1f}"
    if card.mock_up_cost:
        yield "mock-ups cost", f"{card.mock_up_cost:.2f}"


def _tried(card: Card, i: int, unit: Unit) -> str:
    one = card.tried[i]
    gap = f", mean gap {format_length(one.gap_mm, unit)}" if one.gap_mm is not None else ""
    return f"Version {one.version}{gap}{f': {one.note}' if one.note else ''}"


def _wears(build: Build, unit: Unit) -> Iterator[str]:
    for wear in build.record.wears:
        parts = [wear.on.isoformat()]
        parts += [f"{wear.hours:g} hours"] if wear.hours else []
        parts += [wear.heat] if wear.heat else []
        parts += [f"gap {format_length(wear.gap_mm, unit)}"] if wear.gap_mm is not None else []
        parts += [str(wear.comfort)] if wear.comfort else []
        parts += [f"gave way: {wear.gave_way}"] if wear.gave_way else []
        parts += [wear.note] if wear.note else []
        yield ", ".join(parts)


def _table(rows: list[tuple[str, str]], plain: ParagraphStyle) -> Table:
    cells = [[Paragraph(_safe(name), plain), Paragraph(_safe(value), plain)] for name, value in rows] or [["", ""]]
    table = Table(cells, colWidths=[38 * mm, 134 * mm], hAlign="LEFT")
    table.setStyle(
        TableStyle(
            [
                ("VALIGN", (0, 0), (-1, -1), "TOP"),
                ("LINEBELOW", (0, 0), (-1, -1), 0.3, colors.HexColor("#999999")),
                ("TOPPADDING", (0, 0), (-1, -1), 1.5),
                ("BOTTOMPADDING", (0, 0), (-1, -1), 1.5),
                ("LEFTPADDING", (0, 0), (-1, -1), 0),
            ]
        )
    )
    return table


def _safe(text: str) -> str:
    return text.replace("&", "&amp;").replace("<", "&lt;")
