"""The garment on her on paper: a page with her from all sides and her levels, and the small picture of a card."""

from collections.abc import Sequence

from reportlab.graphics.shapes import Circle, Drawing, Group, Polygon, PolyLine, String
from reportlab.lib import colors
from reportlab.lib.units import mm
from reportlab.platypus import Flowable, Paragraph, Spacer

from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.wearer.measures import LEVEL_LABELS
from fuseau.document.build import Build
from fuseau.files.lists import as_pdf, list_styles, ruled, safe
from fuseau.files.on_body_drawing import Shape, seen_from
from fuseau.files.paper import Paper
from fuseau.files.typeface import FONT
from fuseau.planning.worn.on_body import OnBody
from fuseau.wording import Words

_WIDE_MM, _HIGH_MM = 174.0, 110.0
_BETWEEN_MM = 24.0  # of her, not of the paper
_SIDES = ((0.0, "front"), (-40.0, "¾ front"), (-90.0, "side"), (180.0, "back"))
_CAPTION_MM = 5.0


def on_her(seen: OnBody, sides: Sequence[tuple[float, str]], wide_mm: float, high_mm: float) -> tuple[Drawing, float]:
    """Her from these turns, ° about upright, beside each other at one scale within a box, and the scale: 1 to so much.

    Each has its caption below, where that is not empty.
    """
    views = [seen_from(seen, turn) for turn, _ in sides]
    across = sum(float(view.high[0] - view.low[0]) for view in views) + _BETWEEN_MM * (len(views) - 1)
    low, high = min(float(view.low[1]) for view in views), max(float(view.high[1]) for view in views)
    foot = _CAPTION_MM if any(caption for _, caption in sides) else 0.0
    scale = min(wide_mm / across, (high_mm - foot) / (high - low))
    drawing = Drawing(across * scale * mm, ((high - low) * scale + foot) * mm)
    x = 0.0
    for view, (_, caption) in zip(views, sides, strict=True):
        wide = float(view.high[0] - view.low[0])
        shapes = [_shape(shape, scale) for shape in view.shapes]
        moved = (x - float(view.low[0])) * scale * mm, (foot - low * scale) * mm
        drawing.add(Group(*shapes, transform=(1, 0, 0, 1, *moved)))
        middle = (x + wide / 2) * scale * mm
        drawing.add(String(middle, 1, caption, fontName=FONT, fontSize=7.5, textAnchor="middle"))
        x += wide + _BETWEEN_MM
    drawing.hAlign = "LEFT"
    return drawing, 1 / scale


def _shape(shape: Shape, scale: float) -> Circle | Polygon | PolyLine:
    if len(shape.points) == 1:
        (x, y), fill = shape.points[0] * scale * mm, colors.HexColor(shape.fill)
        return Circle(float(x), float(y), shape.wide_mm / 2 * scale * mm, fillColor=fill, strokeColor=None)
    flat = [float(value) for value in (shape.points * scale * mm).ravel()]
    if shape.fill is not None:
        fill = colors.HexColor(shape.fill)
        return Polygon(flat, fillColor=fill, strokeColor=fill, strokeWidth=0.2)
    dashes = [3, 2] if shape.what == "limit" else None
    wide = max(0.25, shape.wide_mm * scale * mm)
    return PolyLine(flat, strokeColor=colors.HexColor(shape.line), strokeWidth=wide, strokeDashArray=dashes)


def on_her_pdf(build: Build, seen: OnBody, paper: Paper, unit: Unit) -> bytes:
    """A page with the garment on her from four sides, its scale, and her levels as they are worn."""
    title, head, plain, small = list_styles()
    version = f"version {seen.version}" if seen.version else "draft" if seen.edges_mm else "no pattern yet"
    drawing, scale = on_her(seen, _SIDES, _WIDE_MM, _HIGH_MM)

    def length(value: float | None) -> str:
        return "" if value is None else format_length(value, unit)

    rows = [["", "round, over it", "wide", "deep", "gap", "pressure"]] + [
        [
            LEVEL_LABELS[level.level],
            length(level.worn_mm),
            length(2 * level.half_mm),
            length(level.front_mm + level.back_mm),
            length(level.gap_mm),
            "" if level.kpa is None else f"{level.kpa:.1f} kPa",
        ]
        for level in seen.levels
    ]
    story: list[Flowable] = [
        Paragraph(safe(build.brief.name), title),
        Paragraph(safe(f"{build.kind.capitalize()}, {version}, on {build.wearer.name or 'the wearer'}"), plain),
        Spacer(1, 4 * mm),
        drawing,
        Paragraph(f"1 : {scale:.1f}", small),
        Paragraph("As it is worn", head),
        ruled([[Paragraph(safe(cell), plain) for cell in row] for row in rows], (30, 30, 26, 26, 26, 30)),
    ]
    say = Words(unit)
    story += [Paragraph(safe(say(one)), plain) for one in seen.said]
    return as_pdf(story, f"{build.brief.name}: on the body", paper)
