"""Lists on paper: the page they are set on, their styles, and text that may hold any sign."""

import io
from collections.abc import Sequence
from typing import NamedTuple

from reportlab.graphics.shapes import Drawing, Rect
from reportlab.lib import colors
from reportlab.lib.pagesizes import A4, LETTER
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm
from reportlab.platypus import Flowable, SimpleDocTemplate, Table, TableStyle

from fuseau.files.paper import Paper
from fuseau.files.typeface import BOLD, FONT, Page, fonts


class ListStyles(NamedTuple):
    """How the parts of a list are set."""

    title: ParagraphStyle
    head: ParagraphStyle
    plain: ParagraphStyle
    small: ParagraphStyle


def list_styles(size: float = 9.0) -> ListStyles:
    """The styles of a list whose text has so many points."""
    fonts()
    plain = ParagraphStyle("plain", fontName=FONT, fontSize=size, leading=1.31 * size)
    return ListStyles(
        title=ParagraphStyle("title", fontName=BOLD, fontSize=15, leading=19),
        head=ParagraphStyle("head", fontName=BOLD, fontSize=10.5, leading=13.5, spaceBefore=8, spaceAfter=2),
        plain=plain,
        small=ParagraphStyle(
            "small", parent=plain, fontSize=0.83 * size, leading=1.07 * size, textColor=colors.HexColor("#333333")
        ),
    )


def as_pdf(story: list[Flowable], title: str, paper: Paper) -> bytes:
    """A list as a PDF, the same for the same list."""
    target = io.BytesIO()
    document = SimpleDocTemplate(
        target,
        pagesize=A4 if paper == "a4" else LETTER,
        leftMargin=18 * mm,
        rightMargin=18 * mm,
        topMargin=14 * mm,
        bottomMargin=12 * mm,
        title=title,
        invariant=True,
    )
    document.build(story, canvasmaker=Page)
    return target.getvalue()


def ruled(rows: Sequence[Sequence[Flowable | list[Flowable] | str]], widths_mm: Sequence[float]) -> Table:
    """Rows with a fine line below each."""
    table = Table([list(row) for row in rows], colWidths=[width * mm for width in widths_mm], hAlign="LEFT")
    table.setStyle(
        TableStyle(
            [
                ("VALIGN", (0, 0), (-1, -1), "TOP"),
                ("LINEBELOW", (0, 0), (-1, -1), 0.3, colors.HexColor("#999999")),
                ("TOPPADDING", (0, 0), (-1, -1), 2),
                ("BOTTOMPADDING", (0, 0), (-1, -1), 2),
                ("LEFTPADDING", (0, 0), (-1, -1), 0),
            ]
        )
    )
    return table


def tick_box(wide: float = 10.0) -> Drawing:
    """A box to tick, at the left of a drawing of this width in points."""
    drawing = Drawing(wide, 9)
    drawing.add(Rect(0.5, 0, 8, 8, fillColor=None, strokeColor=colors.black, strokeWidth=0.7))
    return drawing


def safe(text: str) -> str:
    """Text as a paragraph takes it.

    >>> safe("Ash & <Ember>")
    'Ash &amp; &lt;Ember&gt;'
    """
    return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;")
