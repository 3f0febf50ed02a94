"""A cloth as it was laid out, on paper and as a drawing: each sheet with its pieces and where they lie (model, 11)."""

import io
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from xml.sax.saxutils import escape

from reportlab.lib.units import mm

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.layout.at_hand import Laying
from fuseau.craft.layout.marker import NEW_CLOTH
from fuseau.craft.layout.placed import Placed
from fuseau.craft.pattern.trueing import Point
from fuseau.files.paper import SIZES_MM, Paper
from fuseau.files.typeface import BOLD, FONT, Page, fonts

_EDGE_MM = 14.0
_BELOW_MM = 40.0
_ROW_MM = 4.2
_GAP_MM = 60.0


@dataclass(frozen=True)
class LaidCloth:
    """What is printed: the build and its version, the cloth, how it is laid, what each sheet is called."""

    build: str
    version: int | None
    cloth: str
    laying: Laying
    names: Mapping[str, str]

    def sheets(self) -> "list[DrawnSheet]":
        """Every sheet that is cut from, and new cloth last. Raises Unmakeable where nothing is laid."""
        found = [
            DrawnSheet(
                self.names.get(sheet.sheet.key, sheet.sheet.key), sheet.sheet.outline, sheet.sheet.flaws, sheet.placed
            )
            for sheet in self.laying.sheets
            if sheet.placed
        ]
        marker = self.laying.marker
        if marker.placed:
            wide = marker.usable_mm / 2 if marker.fold else marker.usable_mm
            long = marker.length_mm
            name = f"{self.names.get(NEW_CLOTH, 'new cloth')}{', on the fold' if marker.fold else ''}"
            found.append(DrawnSheet(name, ((0, 0), (long, 0), (long, wide), (0, wide)), (), marker.placed))
        if not found:
            raise Unmakeable("cut", "print.nothing_laid")
        return found


@dataclass(frozen=True)
class DrawnSheet:
    """A sheet with its edge, flaws and pieces, mm, x along the cloth."""

    name: str
    outline: Sequence[Point]
    flaws: Sequence[Sequence[Point]]
    placed: Sequence[Placed]

    @property
    def size(self) -> tuple[float, float]:
        """How long and wide what is drawn of it is: a long length as far as it is cut from."""
        long = max(x for x, _ in self.outline)
        reach = max(x for one in self.placed for x, _ in one.outline)
        return min(long, reach + _GAP_MM), max(y for _, y in self.outline)


def layout_pdf(laid: LaidCloth, paper: Paper, unit: Unit) -> bytes:
    """A page for each sheet: the pieces on it to scale, and how far each lies from its ends. Raises Unmakeable."""
    fonts()
    high, wide = SIZES_MM[paper]  # lying
    target = io.BytesIO()
    canvas = Page(target, pagesize=(wide * mm, high * mm), invariant=True)
    canvas.setTitle(f"{laid.build}: {laid.cloth} laid out")
    sheets = laid.sheets()
    for number, sheet in enumerate(sheets, start=1):
        _page(canvas, laid, sheet, f"{number} of {len(sheets)}", (wide, high), unit)
        canvas.showPage()
    canvas.save()
    return target.getvalue()


def _page(canvas: Page, laid: LaidCloth, sheet: DrawnSheet, number: str, page: tuple[float, float], unit: Unit) -> None:
    wide, high = page
    long, across = sheet.size
    rows = -(-len(sheet.placed) // 3)
    below = max(_BELOW_MM, rows * _ROW_MM + 16)
    scale = min((wide - 2 * _EDGE_MM - 8) / long, (high - 2 * _EDGE_MM - 18 - below) / across)
    left, bottom = _EDGE_MM + 8, _EDGE_MM + below

    def at(spot: Point) -> tuple[float, float]:
        return (left + spot[0] * scale) * mm, (bottom + spot[1] * scale) * mm

    version = f", version {laid.version}" if laid.version else ""
    canvas.setFont(BOLD, 13)
    room = (wide - 2 * _EDGE_MM) * mm
    canvas.draw_within(_EDGE_MM * mm, (high - _EDGE_MM - 3) * mm, room, f"{laid.cloth}: {sheet.name}")
    canvas.setFont(FONT, 8)
    size = f"{format_length(long, unit)} of its length, {format_length(across, unit)} wide"
    told = f"{version}. {size}. 1 : {1 / scale:.0f}. Sheet {number}."
    canvas.draw_within(_EDGE_MM * mm, (high - _EDGE_MM - 9) * mm, room, laid.build, ("", told))
    canvas.setLineWidth(0.8)
    _polygon(canvas, [at((min(x, long), y)) for x, y in sheet.outline])
    canvas.setDash(2, 2)
    for flaw in sheet.flaws:
        _polygon(canvas, [at(spot) for spot in flaw])
    canvas.setDash()
    _ruler(canvas, at, long, unit)
    for k, one in enumerate(sheet.placed, start=1):
        canvas.setLineWidth(0.5)
        _polygon(canvas, [at(spot) for spot in one.outline])
        xs, ys = zip(*one.outline, strict=True)
        middle = at(((min(xs) + max(xs)) / 2, (min(ys) + max(ys)) / 2))
        canvas.setFont(BOLD, 8)
        canvas.drawCentredString(middle[0], middle[1] - 3, str(k))
        from_end, from_edge = format_length(max(0.0, min(xs)), unit), format_length(max(0.0, min(ys)), unit)
        turned = " face down" if one.mirrored else ""
        column, row = divmod(k - 1, rows)
        canvas.setFont(FONT, 7)
        canvas.drawString(
            (_EDGE_MM + column * (wide - 2 * _EDGE_MM) / 3) * mm,
            (_EDGE_MM + below - 14 - row * _ROW_MM) * mm,
            f"{k}  {one.key}{turned}: {from_end} from the end, {from_edge} up",
        )
    canvas.setFont(FONT, 7)
    canvas.drawString(
        _EDGE_MM * mm, (_EDGE_MM - 4) * mm, "Rotary cutters and shears cut fingers too: guard on, blade away from you."
    )


def _ruler(canvas: Page, at: Callable[[Point], tuple[float, float]], long: float, unit: Unit) -> None:
    step, per = (127.0, 25.4) if unit == "in" else (100.0, 10.0)
    canvas.setFont(FONT, 6)
    canvas.setLineWidth(0.3)
    for k in range(int(long / step) + 1):
        x, y = at((k * step, 0.0))
        canvas.line(x, y - 5, x, y)
        canvas.drawCentredString(x, y - 11, f"{k * step / per:.0f}")


def _polygon(canvas: Page, spots: Sequence[tuple[float, float]]) -> None:
    path = canvas.beginPath()
    path.moveTo(*spots[0])
    for spot in spots[1:]:
        path.lineTo(*spot)
    path.close()
    canvas.drawPath(path)


def layout_svg(laid: LaidCloth) -> str:
    """Every sheet with its pieces at 1:1, one below the other; a user unit is a millimetre. Raises Unmakeable."""
    sheets = laid.sheets()
    wide = max(sheet.size[0] for sheet in sheets) + 2 * _EDGE_MM
    high = sum(sheet.size[1] + _GAP_MM for sheet in sheets) + _EDGE_MM
    parts = [
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{wide:.2f}mm" height="{high:.2f}mm" '
        f'viewBox="0 0 {wide:.2f} {high:.2f}" fill="none" stroke="#000" font-family="sans-serif">',
        f"<title>{escape(f'{laid.build}: {laid.cloth}')}</title>",
    ]
    top = _EDGE_MM
    for k, sheet in enumerate(sheets):
        long, across = sheet.size

        def points(outline: Sequence[Point], top: float = top, across: float = across, long: float = long) -> str:
            return " ".join(f"{_EDGE_MM + min(x, long):.2f},{top + across - y:.2f}" for x, y in outline)

        parts.append(f'<g id="sheet-{k + 1}"><title>{escape(sheet.name)}</title>')
        parts.append(f'<polygon class="cloth" stroke-width="0.8" points="{points(sheet.outline)}"/>')
        parts += [f'<polygon class="flaw" stroke-dasharray="3 2" points="{points(flaw)}"/>' for flaw in sheet.flaws]
        for one in sheet.placed:
            name = escape(f"{one.key}{' face down' if one.mirrored else ''}")
            xs, ys = zip(*one.outline, strict=True)
            x, y = _EDGE_MM + (min(xs) + max(xs)) / 2, top + across - (min(ys) + max(ys)) / 2
            parts.append(
                f'<g class="piece"><title>{name}</title><polygon stroke-width="0.5" points="{points(one.outline)}"/>'
                f'<text x="{x:.1f}" y="{y:.1f}" font-size="9" fill="#000" stroke="none" text-anchor="middle">'
                f"{name}</text></g>"
            )
        parts.append("</g>")
        top += across + _GAP_MM
    parts.append("</svg>\n")
    return "\n".join(parts)
