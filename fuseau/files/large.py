"""The pattern at 1:1 on one large page: for a plotter's roll, or with layers to be switched, for a projector."""

import io
from typing import Any, Literal

from reportlab.lib.units import mm
from reportlab.pdfbase.pdfdoc import PDFArray, PDFDictionary, PDFName, PDFResourceDictionary, PDFString

from fuseau.craft.base.lengths import Unit
from fuseau.document.build import Build
from fuseau.files.pieces import Kind, Piece, named, pattern_pieces
from fuseau.files.tiles import begin, draw_piece, in_rows, scale_bar, square
from fuseau.files.typeface import FONT, Page
from fuseau.planning.plan import Plan

SQUARE_MM = 100.0
_SQUARE_IN_MM = 101.6
_EDGE_MM, _FOOT_MM = 12.0, 8.0
_THICK = 3.0  # times as thick: a projector shows no hair
_LAYERS: tuple[tuple[str, tuple[Kind | Literal["text"], ...]], ...] = (
    ("cut lines", ("cut",)),
    ("stitch lines", ("stitch", "dart")),
    ("waist and grain", ("waist", "grain")),
    ("notches", ("notch",)),
    ("channels", ("channel",)),
    ("holes", ("hole",)),
    ("text", ("text",)),
)


def large_pdf(build: Build, planned: Plan, roll_mm: int, unit: Unit, *, layers: bool = False) -> bytes:
    """All pieces on one page as wide as a roll and as long as they need, with a test square of 100 mm (and 4 in).

    With `layers` each kind of line is optional content (ISO 32000-1, 8.11) that a viewer shows or hides, and thick.
    Raises ValueError with no pattern.
    """
    pieces = pattern_pieces(build, planned)
    name = named(build, planned)
    inches = unit == "in"
    beside = SQUARE_MM + (_SQUARE_IN_MM + 8 if inches else 0.0)
    widest = max(piece.bounds[2] - piece.bounds[0] for piece in pieces)
    wide = max(float(roll_mm), widest + 2 * _EDGE_MM + 4)  # a piece that is wider than the roll is not cut off
    sheet, _, height = in_rows(pieces, wide - 2 * _EDGE_MM - 4, beside, SQUARE_MM)
    long = height + 2 * _EDGE_MM + _FOOT_MM
    target = io.BytesIO()
    canvas = begin(target, (wide, long), f"{name}: pattern at 1:1")
    square(canvas, _EDGE_MM, long - _EDGE_MM, SQUARE_MM, "100 mm")
    if inches:
        square(canvas, _EDGE_MM + SQUARE_MM + 8, long - _EDGE_MM, _SQUARE_IN_MM, "4 in")
    canvas.saveState()
    canvas.translate(_EDGE_MM * mm, (_EDGE_MM + _FOOT_MM) * mm)
    if layers:
        for i, (_, kinds) in enumerate(_LAYERS):
            _marked(canvas, f"/OC /L{i} BDC")
            for kind in kinds:
                _draw(canvas, sheet, kind, _THICK)
            _marked(canvas, "EMC")
    else:
        _draw(canvas, sheet, None, 1.0)
    canvas.restoreState()
    canvas.setFont(FONT, 9)
    room = (wide - 2 * _EDGE_MM - 125) * mm
    canvas.draw_within(
        _EDGE_MM * mm, (_EDGE_MM - 2) * mm, room, name.name, ("", f"{name.version}   print at 100 %, no scaling")
    )
    scale_bar(canvas, wide - _EDGE_MM, _EDGE_MM - 1, unit)
    canvas.showPage()
    if layers:
        _switched(canvas)
    canvas.save()
    return target.getvalue()


def _draw(canvas: Page, sheet: list[Piece], only: Kind | Literal["text"] | None, thick: float) -> None:
    for piece in sheet:
        draw_piece(canvas, piece, only=only, thick=thick)


def _marked(canvas: Page, code: str) -> None:
    canvas._code.append(code)


def _switched(canvas: Page) -> None:
    """Optional content groups for the page that was just closed, and the catalogue's word of them: all are shown."""
    document: Any = canvas._doc
    groups = [
        document.Reference(PDFDictionary({"Type": PDFName("OCG"), "Name": PDFString(name)})) for name, _ in _LAYERS
    ]
    page = document.Pages.pages[-1]
    page = document.idToObject[page.name] if hasattr(page, "name") else page
    resources = PDFResourceDictionary(Properties={f"L{i}": group for i, group in enumerate(groups)})
    resources.basicFonts()
    page.Resources = resources
    catalogue = document.Catalog
    catalogue.__NoDefault__ = [*catalogue.__NoDefault__, "OCProperties"]
    catalogue.OCProperties = PDFDictionary(
        {"OCGs": PDFArray(groups), "D": PDFDictionary({"Order": PDFArray(groups), "ON": PDFArray(groups)})}
    )
