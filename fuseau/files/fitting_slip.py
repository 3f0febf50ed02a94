"""A fitting to write down by hand, one page: what it had, the gap by height, how it sat, pinches, edges, moves.

It asks what Mock-ups asks, in its words, so that it is typed in as it stands.
"""

from collections.abc import Sequence

import numpy as np
from reportlab.graphics.shapes import Drawing, Line, PolyLine, Rect, String
from reportlab.lib import colors
from reportlab.lib.units import mm
from reportlab.pdfbase.pdfmetrics import stringWidth
from reportlab.platypus import Flowable, Paragraph, Spacer, Table, TableStyle

from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import ZERO_LABELS
from fuseau.document.build import Build
from fuseau.document.fitting_fields import FittingField, asked_in
from fuseau.files.lists import as_pdf, list_styles, safe, tick_box
from fuseau.files.paper import Paper
from fuseau.files.typeface import BOLD, FONT
from fuseau.planning.plan import Plan

_GREY = colors.HexColor("#666666")
_WIDE_MM = 174.0
_NEAR_END_MM = 8.0
_LINES_FOR_PINCHES = 3


def gap_heights(planned: Plan) -> tuple[float, ...]:
    """Where a gap is usually read, from the top: near the ends, at the zero line, and between; mm."""
    assert planned.mock_up is not None
    z = planned.mock_up.z_mm
    low, high = float(np.ceil(z[0] + _NEAR_END_MM)), float(np.floor(z[-1] - _NEAR_END_MM))
    return (high, high / 2, 0.0, low / 2, low)


def fitting_pdf(build: Build, planned: Plan, paper: Paper, unit: Unit) -> bytes:
    """The slip for the next fitting of the present version. Raises ValueError while nothing is drafted."""
    if planned.pattern is None or planned.mock_up is None:
        raise ValueError("there is no pattern yet")
    title, head, _, small = list_styles(8.5)
    version = f"version {planned.pattern.version}" if planned.pattern.version else "draft"
    laced, tied = build.back.laced, GARMENT_KINDS[build.kind].tied
    name = f"{build.brief.name}, {version}: fitting {len(build.fittings) + 1}"
    levels = [level for level in planned.levels if level.gap_mm is not None]
    story: list[Flowable] = [
        Paragraph(safe(name), title),
        _fields([("for " + (build.wearer.name or ""), 70), ("on", 34), ("laced by", 0)]),
        _ticks("It had", ["bones", "the final cloth", "padding", *(["lacing", "pins", "left open"] if laced else [])]),
        *([_pulled(laced)] if not tied else []),
        Spacer(1, 3 * mm),
        *(_gaps(planned, unit, laced, laced and not tied, head)),
        Paragraph("How it sat", head),
        _sat([level.label for level in levels], unit),
        Paragraph("Pinched out of a seam (−: slashed open), the peak on each half", head),
        *(
            _fields([("seam", 26), ("from", 38), ("to", 38), (f"by, {_small_unit(unit)}", 0)])
            for _ in range(_LINES_FOR_PINCHES)
        ),
        *_edges(planned.pattern.zero == "waist", unit, head),
        *(item for asked in asked_in("moves") for item in (Paragraph(safe(asked.label), head), _moves(asked))),
        Paragraph("Notes", head),
        *_notes(),
        Spacer(1, 2 * mm),
        Paragraph(
            "Loosen at once at pain, numbness, breathlessness or dizziness. Heights are from the "
            f"{ZERO_LABELS[GARMENT_KINDS[build.kind].zero]}, up is +.",
            small,
        ),
    ]
    return as_pdf(story, name, paper)


def _small_unit(unit: Unit) -> str:
    return "in" if unit == "in" else "mm"


def _gaps(planned: Plan, unit: Unit, laced: bool, pulled: bool, head: object) -> list[Flowable]:
    """The gap by height: what is expected, and room for two pulls, beside the lacing edges as they should stand."""
    assert planned.mock_up is not None
    fit, heights = planned.mock_up, gap_heights(planned)
    rows = [["height", "expected", "gap" if laced else "pins", "at a lighter pull" if pulled else ""]]
    for z in heights:
        gap = float(np.interp(z, fit.z_mm, fit.gap_mm))
        expected, small = format_length(gap, unit, hardware=True), _small_unit(unit)
        rows.append([format_length(z, unit), expected, small, small if pulled else ""])
    table = Table(rows, colWidths=[22 * mm, 24 * mm, 32 * mm, 36 * mm], rowHeights=[5 * mm] + [7.6 * mm] * len(heights))
    table.setStyle(
        TableStyle(
            [
                ("FONT", (0, 0), (-1, -1), FONT, 8.5),
                ("TEXTCOLOR", (0, 0), (-1, 0), _GREY),
                ("TEXTCOLOR", (2, 1), (3, -1), _GREY),
                ("ALIGN", (2, 1), (3, -1), "RIGHT"),
                ("VALIGN", (0, 0), (-1, -1), "BOTTOM"),
                ("LINEBELOW", (0, 1), (1, -1), 0.3, _GREY),
                ("LINEBELOW", (2, 1), (3, -1), 0.8, colors.black),
                ("LEFTPADDING", (0, 0), (-1, -1), 0),
                ("BOTTOMPADDING", (0, 0), (-1, -1), 2),
            ]
        )
    )
    beside = Table([[_back(planned, heights) if laced else "", table]], colWidths=[54 * mm, 120 * mm], hAlign="LEFT")
    beside.setStyle(TableStyle([("VALIGN", (0, 0), (-1, -1), "TOP"), ("LEFTPADDING", (0, 0), (-1, -1), 0)]))
    return [Paragraph("The gap" if laced else "Pins", head), beside]


def _back(planned: Plan, heights: Sequence[float]) -> Drawing:
    """The two lacing edges with the gap that is expected, at a scale that fits, and where it is read."""
    assert planned.mock_up is not None
    z, gap = np.array(planned.mock_up.z_mm), np.array(planned.mock_up.gap_mm)
    high, wide = 43.0, 48.0
    scale = min(high / (z[-1] - z[0]), 0.5 * wide / max(float(gap.max()), 1.0))
    drawing = Drawing(wide * mm, high * mm)
    middle = wide / 2 + 5
    for side in (-1, 1):
        edge = [(middle + side * g * scale / 2, (at - z[0]) * scale) for at, g in zip(z, gap, strict=True)]
        drawing.add(PolyLine([value * mm for point in edge for value in point], strokeWidth=1.2))
    for at in heights:
        g, y = float(np.interp(at, z, gap)) * scale, (at - z[0]) * scale
        drawing.add(Line((middle - g / 2) * mm, y * mm, (middle + g / 2) * mm, y * mm, strokeWidth=0.5))
    drawing.add(String(12 * mm, (0 - z[0]) * scale * mm - 3, "zero", fontName=FONT, fontSize=7, fillColor=_GREY))
    return drawing


def _pulled(laced: bool) -> Table:
    """The strength of the pull."""
    pull = next(asked for asked in asked_in("head") if asked.field == "pull")
    return _ticks(pull.label if laced else "Held", [word.label for word in pull.cells[""].words])


def _edges(whole: bool, unit: Unit, head: object) -> list[Flowable]:
    """What was off with edges and seams, either way; `whole` where the garment reaches below its zero line."""
    rows: list[Flowable] = []
    for asked in asked_in("edges"):
        ways = next(cell.ways for cell in asked.cells.values() if cell.ways)
        if asked.keys:
            rows.append(Paragraph(safe(f"{asked.label}: {ways.above} (+) or {ways.below} (−)"), head))
            keys = [key for key in asked.keys if whole or not key.below_zero_line]
            rows.append(_fields([(key.name, 0) for key in keys]))
        else:
            by = f"by, {_small_unit(unit)}"
            rows.append(_ticks(asked.label, [ways.even, ways.above, ways.below], [by]))
    return rows


def _notes() -> list[Flowable]:
    """Lines for what is told in words, and what is counted."""
    written = asked_in("notes")
    texts = [asked for asked in written if asked.cells[""].reads == "text"]
    counted = [asked for asked in written if asked.cells[""].reads == "amount"]
    lines: list[Flowable] = []
    for asked in texts:
        lines += [_fields([(asked.label, 0)]), *(_rule() for _ in range(2 if asked.cells[""].lines else 0))]
    return [*lines, _fields([*((asked.label, 62) for asked in counted), ("Photos", 0)])]


def _sat(levels: Sequence[str], unit: Unit) -> Table:
    """A row of boxes for each level, and room for its amounts and girths."""
    asked = [(field, cell) for field in asked_in("levels") for cell in field.cells.values()]
    words = [word.label for _, cell in asked for word in cell.words]
    small = [field.label for field, cell in asked if cell.reads == "small"]
    girths = [field.label for field, cell in asked if cell.reads == "girth"]
    units = [*[_small_unit(unit)] * len(small), *([unit] if girths else [])]
    titles = ["", *words, *small, *(["girth " + ", ".join(girths)] if girths else [])]
    rows: list[list[object]] = [list(titles)]
    rows += [[level, *[tick_box() for _ in words], *units] for level in levels]
    wide = (_WIDE_MM - 28 - 17 * len(words) - 36 * bool(girths)) / max(1, len(small))
    columns = [28 * mm, *[17 * mm] * len(words), *[wide * mm] * len(small), *[36 * mm] * bool(girths)]
    table = Table(rows, colWidths=columns, rowHeights=5.6 * mm, hAlign="LEFT")
    table.setStyle(
        TableStyle(
            [
                ("FONT", (0, 0), (-1, -1), FONT, 8),
                ("TEXTCOLOR", (0, 0), (-1, 0), _GREY),
                ("TEXTCOLOR", (1 + len(words), 1), (-1, -1), _GREY),
                ("ALIGN", (1 + len(words), 1), (-1, -1), "RIGHT"),
                ("VALIGN", (0, 0), (-1, -1), "MIDDLE"),
                ("LINEBELOW", (0, 0), (-1, -1), 0.3, _GREY),
                ("LEFTPADDING", (0, 0), (-1, -1), 0),
            ]
        )
    )
    return table


def _moves(asked: FittingField) -> Table:
    """What she did in it, and how that went."""
    went = [word.label for cell in asked.cells.values() for word in cell.words]
    plain = list_styles(8.5).plain
    cells = [[Paragraph(safe(key.label), plain), *(_ticked(word) for word in went)] for key in asked.keys]
    half = (len(cells) + 1) // 2
    rows = [cells[i] + (cells[i + half] if i + half < len(cells) else [""] * 4) for i in range(half)]
    table = Table(rows, colWidths=[27 * mm, *[19 * mm] * 3] * 2, rowHeights=5.4 * mm, hAlign="LEFT")
    table.setStyle(TableStyle([("LEFTPADDING", (0, 0), (-1, -1), 0), ("VALIGN", (0, 0), (-1, -1), "MIDDLE")]))
    return table


def _ticked(word: str, size: float = 8.5) -> Drawing:
    """A box with its word."""
    drawing = tick_box(12 + stringWidth(word, FONT, size))
    drawing.add(String(12, 1.5, word, fontName=FONT, fontSize=size))
    return drawing


def _ticks(label: str, words: Sequence[str], then: Sequence[str] = ()) -> Table:
    """A line of boxes to tick after what they are of; `then` what is written behind them."""
    line = Drawing(_WIDE_MM * mm, 12)
    line.add(String(0, 2, label, fontName=BOLD, fontSize=8.5))
    x = 28 * mm
    for word in words:
        line.add(Rect(x, 1, 8, 8, fillColor=None, strokeColor=colors.black, strokeWidth=0.7))
        line.add(String(x + 12, 2, word, fontName=FONT, fontSize=8.5))
        x += 12 + stringWidth(word, FONT, 8.5) + 14
    for word in then:
        line.add(String(x, 2, word, fontName=FONT, fontSize=8.5))
        x += stringWidth(word, FONT, 8.5) + 4
        line.add(Line(x, 0, min(x + 26 * mm, (_WIDE_MM - 3) * mm), 0, strokeWidth=0.6))
        x += 26 * mm + 8
    return Table([[line]], style=[("LEFTPADDING", (0, 0), (-1, -1), 0), *_TIGHT], hAlign="LEFT")


_TIGHT = [("TOPPADDING", (0, 0), (-1, -1), 1), ("BOTTOMPADDING", (0, 0), (-1, -1), 1)]


def _fields(parts: Sequence[tuple[str, float]]) -> Table:
    """Labels with a line to write on behind each; a width of 0 shares what is left, mm."""
    left = _WIDE_MM - sum(wide for _, wide in parts)
    shared = left / max(1, sum(wide == 0 for _, wide in parts))
    line = Drawing(_WIDE_MM * mm, 15)
    x = 0.0
    for label, wide in parts:
        end = x + (wide or shared)
        line.add(String(x * mm, 2, label, fontName=FONT, fontSize=8.5))
        begin = x + stringWidth(label, FONT, 8.5) / mm + 1.5
        if begin < end - 6:
            line.add(Line(begin * mm, 0, (end - 3) * mm, 0, strokeWidth=0.6))
        x = end
    return Table([[line]], style=[("LEFTPADDING", (0, 0), (-1, -1), 0), *_TIGHT], hAlign="LEFT")


def _rule() -> Drawing:
    line = Drawing(_WIDE_MM * mm, 16)
    line.add(Line(0, 0, (_WIDE_MM - 3) * mm, 0, strokeWidth=0.4, strokeColor=_GREY))
    return line
