"""The pattern at 1:1 on pages to be glued: tiles with overlap marks, a test square, and a cover that maps them."""

import io
import math
from collections.abc import Callable
from dataclasses import dataclass
from typing import Literal

from reportlab.lib.units import mm
from reportlab.lib.utils import simpleSplit
from shapely.geometry import LineString, box

from fuseau.craft.base.lengths import Unit, format_length
from fuseau.document.build import Build
from fuseau.files.paper import SIZES_MM, Paper
from fuseau.files.pieces import Kind, Piece, Titled, named, pattern_pieces, ply_pieces
from fuseau.files.typeface import BOLD, FONT, Page, fonts
from fuseau.planning.plan import Plan

MARGIN_MM = 9.0
OVERLAP_MM = 10.0
SQUARE_MM = 50.0
_SQUARE_IN_MM = 50.8
_BETWEEN_MM = 8.0
_PAGES_ACROSS = 4
_STROKES: dict[Kind, tuple[float, tuple[float, ...]]] = {
    "cut": (0.5, ()),
    "stitch": (0.3, (4, 2)),
    "waist": (0.3, ()),
    "grain": (0.3, ()),
    "notch": (0.4, ()),
    "channel": (0.15, (1, 1)),
    "hole": (0.2, ()),
    "dart": (0.3, (4, 2)),
}


@dataclass(frozen=True)
class Tile:
    """One page of the sheet: its column and row, and the rectangle of the sheet that it shows, mm, y up."""

    column: int
    row: int
    left: float
    bottom: float
    width: float
    height: float

    @property
    def name(self) -> str:
        """Letter for the row from the top, number for the column: A1, A2, B1 …"""
        return f"{chr(ord('A') + self.row)}{self.column + 1}"


def pattern_pdf(build: Build, planned: Plan, paper: Paper, unit: Unit = "cm") -> bytes:
    """The tiled pattern: a cover with the map of pages, then the pages. Raises ValueError with no pattern."""
    pieces = pattern_pieces(build, planned)
    name = named(build, planned)
    return sheet_pdf(pieces, name, "pattern at 1:1", lambda pages: _told(build, planned, pages, unit), paper, unit)


def plies_pdf(build: Build, planned: Plan, paper: Paper, unit: Unit = "cm") -> bytes:
    """Every piece of every ply at 1:1, tiled as the pattern. Raises ValueError with no pattern."""
    pieces = ply_pieces(build, planned)

    def told(pages: int) -> list[str]:
        first, *rest = _told(build, planned, pages, unit)
        return [first, f"{len(pieces)} pieces of {len(build.layers.plies)} plies, each with its own allowance.", *rest]

    return sheet_pdf(pieces, named(build, planned), "pieces of every ply at 1:1", told, paper, unit)


def begin(target: io.BytesIO, size_mm: tuple[float, float], title: str) -> Page:
    """A canvas for what is printed true to size: its viewer is told not to scale, its title says what it is."""
    fonts()
    canvas = Page(target, pagesize=(size_mm[0] * mm, size_mm[1] * mm), invariant=True)
    canvas.setTitle(title)
    canvas.setAuthor("Fuseau")
    canvas.setCreator("Fuseau")
    canvas.setViewerPreference("PrintScaling", "None")
    return canvas


def scale_bar(canvas: Page, right: float, low: float, unit: Unit) -> None:
    """A bar of 50 mm, or 2 in, that ends there, mm: every page can be measured."""
    wide, said = (2 * 25.4, "2 in") if unit == "in" else (50.0, "50 mm")
    canvas.setLineWidth(0.25 * mm)
    canvas.line((right - wide) * mm, low * mm, right * mm, low * mm)
    for x in (right - wide, right - wide / 2, right):
        canvas.line(x * mm, (low - 1) * mm, x * mm, (low + 1) * mm)
    canvas.setFont(FONT, 6)
    canvas.drawRightString((right - wide - 1.5) * mm, (low - 0.8) * mm, said)


def sheet_pdf(
    pieces: list[Piece], name: Titled, what: str, told: Callable[[int], list[str]], paper: Paper, unit: Unit = "cm"
) -> bytes:
    """Pieces at 1:1 on pages to be glued, behind a cover that maps them and says what `told` does of so many pages."""
    sheet, width, height = lay_out(pieces, paper, unit)
    tiles = tiles_with_lines(sheet, width, height, paper)
    page = SIZES_MM[paper]
    target = io.BytesIO()
    canvas = begin(target, page, f"{name}: {what}")
    _cover(canvas, name, told(len(tiles)), sheet, tiles, page)
    names = {tile.name for tile in tiles}
    for tile in tiles:
        _page(canvas, tile, sheet, names, page, name, unit)
    canvas.save()
    return target.getvalue()


def _window(paper: Paper) -> tuple[float, float]:
    width, height = SIZES_MM[paper]
    return width - 2 * MARGIN_MM, height - 2 * MARGIN_MM


def lay_out(pieces: list[Piece], paper: Paper, unit: Unit = "cm") -> tuple[list[Piece], float, float]:
    """Pieces in rows as wide as four pages, below a test square; the sheet's width and height in mm.

    The square, and that in inches where she works so, stand at the top left of the sheet: whole on page A1.
    """
    window = _window(paper)
    beside = SQUARE_MM + (_SQUARE_IN_MM + _BETWEEN_MM if unit == "in" else 0.0)
    return in_rows(pieces, _PAGES_ACROSS * (window[0] - OVERLAP_MM), beside, SQUARE_MM)


def in_rows(pieces: list[Piece], row_width: float, beside: float, tall: float) -> tuple[list[Piece], float, float]:
    """Pieces in rows so wide, beside and below a corner so large that is kept free; the sheet's size, mm."""
    x, y, tallest, widest = beside + 2 * _BETWEEN_MM, 0.0, tall, 0.0
    placed = []
    for piece in pieces:
        left, low, right, top = piece.bounds
        if x + right - left > row_width and x > 0:
            x, y, tallest = 0.0, y - tallest - _BETWEEN_MM, 0.0
        placed.append(piece.moved(x - left, y - top))
        x += right - left + _BETWEEN_MM
        tallest, widest = max(tallest, top - low), max(widest, x)
    height = -y + tallest + 2
    return [piece.moved(2, height - 2) for piece in placed], widest + 4, height + 2


def tiles_with_lines(sheet: list[Piece], width: float, height: float, paper: Paper) -> list[Tile]:
    """The pages of a sheet that have anything on them, row by row from the top left."""
    window = _window(paper)
    step = window[0] - OVERLAP_MM, window[1] - OVERLAP_MM
    lines = [LineString(stroke.points) for piece in sheet for stroke in piece.strokes]
    found = []
    for row in range(math.ceil((height - OVERLAP_MM) / step[1])):
        for column in range(math.ceil((width - OVERLAP_MM) / step[0])):
            tile = Tile(column, row, column * step[0], height - row * step[1] - window[1], *window)
            area = box(tile.left, tile.bottom, tile.left + tile.width, tile.bottom + tile.height)
            if (row, column) == (0, 0) or any(area.intersects(line) for line in lines):
                found.append(tile)
    return found


def _page(
    canvas: Page,
    tile: Tile,
    sheet: list[Piece],
    names: set[str],
    page: tuple[float, float],
    title: Titled,
    unit: Unit,
) -> None:
    canvas.saveState()
    clip = canvas.beginPath()
    clip.rect(MARGIN_MM * mm, MARGIN_MM * mm, tile.width * mm, tile.height * mm)
    canvas.clipPath(clip, stroke=0, fill=0)
    canvas.translate((MARGIN_MM - tile.left) * mm, (MARGIN_MM - tile.bottom) * mm)
    for piece in sheet:
        left, low, right, top = piece.bounds
        if (
            left < tile.left + tile.width
            and right > tile.left
            and low < tile.bottom + tile.height
            and top > tile.bottom
        ):
            draw_piece(canvas, piece)
    canvas.restoreState()
    if tile.name == "A1":
        _squares(canvas, page, unit)
    _overlap_marks(canvas, tile, names)
    canvas.setFont(FONT, 7)
    room = (page[0] - 2 * MARGIN_MM - 65) * mm
    canvas.draw_within(
        MARGIN_MM * mm,
        (MARGIN_MM - 5) * mm,
        room,
        title.name,
        (f"{tile.name}   ", f"{title.version}   print at 100 %, no scaling"),
    )
    scale_bar(canvas, page[0] - MARGIN_MM, MARGIN_MM - 4, unit)
    canvas.showPage()


def draw_piece(
    canvas: Page, piece: Piece, *, dashed: bool = True, only: Kind | Literal["text"] | None = None, thick: float = 1.0
) -> None:
    """A piece in the canvas's own millimetres, or `only` its lines of a kind; on a small map dashes only smudge."""
    for stroke in piece.strokes:
        if only not in (None, stroke.kind):
            continue
        width, dash = _STROKES[stroke.kind]
        width *= thick
        canvas.setLineWidth(width * mm)
        canvas.setDash([part * mm for part in dash] if dashed else [])
        path = canvas.beginPath()
        path.moveTo(stroke.points[0][0] * mm, stroke.points[0][1] * mm)
        for x, y in stroke.points[1:]:
            path.lineTo(x * mm, y * mm)
        if stroke.closed:
            path.close()
        canvas.drawPath(path, stroke=1, fill=0)
    canvas.setDash([])
    for label in piece.labels if only in (None, "text") else ():
        canvas.saveState()
        canvas.translate(label.at[0] * mm, label.at[1] * mm)
        canvas.rotate(label.angle)
        canvas.setFont(BOLD if label.size_mm > 3 else FONT, label.size_mm * 1.37 * mm)
        canvas.drawCentredString(0, -label.size_mm / 2 * mm, label.text)
        canvas.restoreState()


def _squares(canvas: Page, page: tuple[float, float], unit: Unit) -> None:
    top = page[1] - MARGIN_MM - 4
    square(canvas, MARGIN_MM + 4, top, SQUARE_MM, "50 mm")
    if unit == "in":
        square(canvas, MARGIN_MM + 4 + SQUARE_MM + _BETWEEN_MM, top, _SQUARE_IN_MM, "2 in")


def square(canvas: Page, left: float, top: float, wide: float, said: str) -> None:
    """A test square so wide, mm."""
    y, middle = top - wide, (left + wide / 2) * mm
    canvas.setLineWidth(0.3 * mm)
    canvas.rect(left * mm, y * mm, wide * mm, wide * mm, stroke=1, fill=0)
    canvas.setFont(FONT, 9)
    canvas.drawCentredString(middle, (y + wide / 2 + 2) * mm, said)
    canvas.setFont(FONT, 7)
    canvas.drawCentredString(middle, (y + wide / 2 - 4) * mm, "measure me first")


def _overlap_marks(canvas: Page, tile: Tile, names: set[str]) -> None:
    """Dashed lines where the neighbours' edges come to lie, crosses at their ends, and which page follows."""
    left, low = MARGIN_MM, MARGIN_MM
    right, top = MARGIN_MM + tile.width, MARGIN_MM + tile.height
    canvas.setLineWidth(0.15 * mm)
    canvas.setFont(FONT, 6)

    def neighbour(columns: int, rows: int) -> str | None:
        other = Tile(column=tile.column + columns, row=tile.row + rows, left=0, bottom=0, width=0, height=0)
        return other.name if other.column >= 0 and other.row >= 0 and other.name in names else None

    for x, columns in ((left + OVERLAP_MM / 2, -1), (right - OVERLAP_MM / 2, 1)):
        name = neighbour(columns, 0)
        if name:
            _mark(canvas, (x, low), (x, top), name)
    for y, rows in ((top - OVERLAP_MM / 2, -1), (low + OVERLAP_MM / 2, 1)):
        name = neighbour(0, rows)
        if name:
            _mark(canvas, (left, y), (right, y), name)


def _mark(canvas: Page, start: tuple[float, float], end: tuple[float, float], name: str) -> None:
    canvas.setDash([1.5 * mm, 1.5 * mm])
    canvas.line(start[0] * mm, start[1] * mm, end[0] * mm, end[1] * mm)
    canvas.setDash([])
    for share in (0.25, 0.75):
        x, y = (a + share * (b - a) for a, b in zip(start, end, strict=True))
        canvas.line((x - 3) * mm, y * mm, (x + 3) * mm, y * mm)
        canvas.line(x * mm, (y - 3) * mm, x * mm, (y + 3) * mm)
        canvas.drawCentredString((x + 5) * mm, (y + 2) * mm, name)


def _told(build: Build, planned: Plan, pages: int, unit: Unit) -> list[str]:
    """What the cover of a pattern says."""
    assert planned.pattern is not None
    version = planned.pattern.version
    allowances = planned.pattern.allowances

    def hardware(length_mm: float, *, bare: bool = True) -> str:
        return format_length(length_mm, unit, hardware=True, bare=bare)

    return [
        f"{build.kind.capitalize()}, {f'version {version}' if version else 'draft'}, "
        f"for {build.wearer.name or 'the wearer'}",
        f"{len(planned.pattern.panels)} panels in each half, panel 1 at centre front: "
        + ("the halves differ, cut each once" if planned.left else "cut each twice, mirrored"),
        f"Seam allowance {hardware(allowances.seams_mm, bare=False)}, top {hardware(allowances.top_mm)}, "
        f"hem {hardware(allowances.hem_mm)}, CF {hardware(allowances.cf_mm)}, "
        f"CB {hardware(allowances.cb_mm, bare=False)}; solid line: cut, dashed line: stitch",
        how_to_print(pages, unit),
    ]


def how_to_print(pages: int, unit: Unit) -> str:
    """What the cover of pages to be glued says of printing them."""
    squares = "50 mm square" if unit == "cm" else "squares of 50 mm and 2 in"
    return f"{pages} pages. Print at 100 %, measure the {squares} on page A1, then glue by the crosses."


def _cover(
    canvas: Page,
    name: Titled,
    lines: list[str],
    sheet: list[Piece],
    tiles: list[Tile],
    page: tuple[float, float],
) -> None:
    """The first page: what it is, how to print it, and a map of the pages. Long lines are broken."""
    x, y = 18.0, page[1] - 24
    canvas.setFont(BOLD, 17)
    canvas.draw_within(x * mm, y * mm, (page[0] - 2 * x) * mm, name.name, ("", name.version))
    canvas.setFont(FONT, 9)
    broken = [part for line in lines for part in simpleSplit(line, FONT, 9, (page[0] - 2 * x) * mm)]
    for i, line in enumerate(broken):
        canvas.drawString(x * mm, (y - 9 - 5 * i) * mm, line)
    below = max(45, 15 + 5 * len(broken))
    left, low = min(tile.left for tile in tiles), min(tile.bottom for tile in tiles)
    wide = max(tile.left + tile.width for tile in tiles) - left
    high = max(tile.bottom + tile.height for tile in tiles) - low
    scale = min((page[0] - 36) / wide, (page[1] - 42 - below) / high)
    canvas.saveState()
    canvas.translate((x - left * scale) * mm, (y - below - (high + low) * scale) * mm)
    canvas.scale(scale, scale)
    for piece in sheet:
        draw_piece(canvas, piece, dashed=False)
    canvas.setLineWidth(0.6 * mm)
    for tile in tiles:
        canvas.setStrokeGray(0.6)
        canvas.rect(tile.left * mm, tile.bottom * mm, tile.width * mm, tile.height * mm, stroke=1, fill=0)
        canvas.setFillGray(0.45)
        canvas.setFont(BOLD, 30)
        canvas.drawString((tile.left + 8) * mm, (tile.bottom + 12) * mm, tile.name)
    canvas.restoreState()
    canvas.showPage()
