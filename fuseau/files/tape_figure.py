"""Where the tape goes: a usual figure from the front with its levels numbered, for a page and for paper.

The girths are usual ones, so that the drawing is hers nowhere and readable everywhere; nothing is computed from them.
"""

import math
from collections.abc import Sequence

from reportlab.graphics.shapes import Drawing, Path, String
from reportlab.lib import colors
from reportlab.lib.units import mm

from fuseau.craft.wearer.measures import NECK, LevelName
from fuseau.files.typeface import BOLD

# girth and height above the zero line, mm; width to depth
_USUAL: dict[LevelName, tuple[float, float, float]] = {
    "upper_neck": (340, 70, 1.1),
    "neck_base": (375, 0, 1.1),
    "collarbone": (490, -40, 1.5),
    "high_bust": (850, 205, 1.45),
    "bust": (900, 160, 1.45),
    "underbust": (770, 90, 1.35),
    "ribs": (740, 55, 1.35),
    "waist": (700, 0, 1.35),
    "high_hip": (880, -100, 1.4),
    "hip": (960, -200, 1.4),
}
_DROOP = 0.16  # how far the tape hangs in the drawing, of half the width
Point = tuple[float, float]


def _half(name: LevelName) -> float:
    """Half the width of an ellipse of that girth, from the front, mm."""
    girth, _, ratio = _USUAL[name]
    return girth / (2 * math.pi) / math.sqrt((ratio**2 + 1) / 2) * ratio


def _right_side(levels: Sequence[LevelName]) -> list[Point]:
    """The outline of her right side in the drawing, from the top down, y up."""
    neck = any(name in NECK for name in levels)
    drawn: list[LevelName] = list(levels)
    if not neck:
        drawn = [name for name in _USUAL if name not in NECK and (name in levels or not name.endswith("bust"))]
    points = [(_half(name), _USUAL[name][1]) for name in drawn]
    (top, high), (end, low) = points[0], points[-1]
    if neck:
        return [(top * 1.35, high + 34), (top * 1.02, high + 12), *points, (end * 1.75, low - 26)]
    above = (top * 1.02, high + 40) if "bust" in drawn or "high_bust" in drawn else (top * 1.2, high + 115)
    return [above, *points, (end * 0.96, low - 70)]


def _curves(points: Sequence[Point]) -> list[tuple[Point, Point, Point]]:
    """Bézier pieces through the points (Catmull–Rom), each two handles and an end."""
    found = []
    for i, to in enumerate(points[1:]):
        before, here, after = points[max(0, i - 1)], points[i], points[min(len(points) - 1, i + 2)]
        out = (here[0] + (to[0] - before[0]) / 6, here[1] + (to[1] - before[1]) / 6)
        into = (to[0] - (after[0] - here[0]) / 6, to[1] - (after[1] - here[1]) / 6)
        found.append((out, into, to))
    return found


def _outline(levels: Sequence[LevelName]) -> tuple[list[Point], list[tuple[Point, Point, Point]]]:
    """Where the outline begins and its pieces: down the right side, across, and up the left."""
    right = _right_side(levels)
    left = [(-x, y) for x, y in reversed(right)]
    return [right[0], left[0]], [*_curves(right), (left[0], left[0], left[0]), *_curves(left)]


def tape_figure(levels: Sequence[LevelName]) -> str:
    """The figure as SVG in a `figure`: a group for each level, named by `data-level`, with the tape and its number."""
    (start, _), pieces = _outline(levels)
    d = f"M{start[0]:.0f} {-start[1]:.0f}" + "".join(
        "C" + " ".join(f"{x:.0f} {-y:.0f}" for x, y in piece) for piece in pieces
    )
    groups = []
    for number, name in enumerate(levels, start=1):
        half, y = _half(name), -_USUAL[name][1]
        droop = y + 2 * _DROOP * half
        tape = f"M{-half:.0f} {y:.0f}C{-half:.0f} {droop:.0f} {half:.0f} {droop:.0f} {half:.0f} {y:.0f}"
        groups.append(
            f'<g data-level="{name}"><path class="tape" d="{tape}"/>'
            f'<text x="{half + 16:.0f}" y="{y + 6:.0f}">{number}</text></g>'
        )
    high, low = max(y for _, y in _right_side(levels)), min(y for _, y in _right_side(levels))
    wide = max(x for x, _ in _right_side(levels)) + 34
    box = f"{-wide:.0f} {-high - 6:.0f} {2 * wide:.0f} {high - low + 12:.0f}"
    drawing = f'<path class="body" d="{d}Z"/>{"".join(groups)}'
    return f'<figure><svg viewBox="{box}" role="img" aria-label="Where the tape goes">{drawing}</svg></figure>'


def tape_drawing(levels: Sequence[LevelName], high_mm: float) -> Drawing:
    """The same for paper, so many mm high."""
    (start, _), pieces = _outline(levels)
    side = _right_side(levels)
    top, low, wide = max(y for _, y in side), min(y for _, y in side), max(x for x, _ in side) + 34
    scale = high_mm * mm / (top - low)

    def at(point: Point) -> Point:
        return (point[0] + wide) * scale, (point[1] - low) * scale

    drawing = Drawing(2 * wide * scale, high_mm * mm)
    body = Path(fillColor=colors.HexColor("#f1f3f4"), strokeColor=colors.HexColor("#566675"), strokeWidth=0.8)
    body.moveTo(*at(start))
    for piece in pieces:
        body.curveTo(*(value for point in piece for value in at(point)))
    body.closePath()
    drawing.add(body)
    for number, name in enumerate(levels, start=1):
        half, y = _half(name), _USUAL[name][1]
        tape = Path(strokeColor=colors.HexColor("#8a6314"), strokeWidth=1.4, fillColor=None)
        tape.moveTo(*at((-half, y)))
        droop = y - 2 * _DROOP * half
        tape.curveTo(*at((-half, droop)), *at((half, droop)), *at((half, y)))
        drawing.add(tape)
        x, base = at((half + 16, y))
        drawing.add(String(x, base - 3, str(number), fontName=BOLD, fontSize=9, textAnchor="middle"))
    return drawing
