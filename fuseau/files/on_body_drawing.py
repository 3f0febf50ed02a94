"""The garment on her as a drawing, from any side without perspective: as SVG (1 unit = 1 mm), or for a page.

Model, section 17.
"""

from collections.abc import Iterator, Sequence
from typing import NamedTuple
from xml.sax.saxutils import escape

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.worn.sight import facing, runs_of, turn_by
from fuseau.craft.worn.surface import Patch
from fuseau.planning.worn.on_body import OnBody

_SKIN, _CLOTH, _CLOTH_2, _HUNG, _INSIDE, _INK = "#e4d8cb", "#c3ccd6", "#cfd6df", "#d6cfdd", "#bdb4c6", "#1d2733"
_LOOSE = ("hanging", "strap")  # seen from both sides
_WIDTHS = {
    "top": 1.4,
    "hem": 1.4,
    "CB": 1.2,
    "bone": 2.2,
    "opening": 2.4,
    "lace": 1.2,
    "trim": 1.8,
    "limit": 1.2,
    "place": 2.2,
}
_COLOURS = {
    "bone": "#ffffff",
    "lace": "#8a6314",
    "hole": "#8a6314",
    "trim": "#8a6314",
    "area": "#8a6314",
    "place": "#b4325e",
}
_MARGIN_MM = 12.0
_BETWEEN_MM = 60.0


class Shape(NamedTuple):
    """A filled outline, a line (no `fill`) or a spot (one point, `wide_mm` across), (n, 2) mm, y up."""

    what: str
    points: Array
    fill: str | None
    line: str | None
    wide_mm: float


class Seen(NamedTuple):
    """What is seen from a side: shapes from the farthest to the nearest, and the corners of the box about them."""

    shapes: list[Shape]
    low: Array
    high: Array


def draw_on_body(seen: OnBody, turns_deg: Sequence[float], title: str, captions: Sequence[str] = ()) -> str:
    """The garment from each of these turns (° about upright, 0 from in front), beside each other."""
    groups, x = [], 0.0
    height, top = 0.0, 0.0
    for i, turn in enumerate(turns_deg):
        shapes, low, high = seen_from(seen, turn)
        shift = x - low[0]
        caption = (
            f'<text x="{(low[0] + high[0]) / 2:.1f}" y="{-low[1] + 18:.1f}">{escape(captions[i])}</text>'
            if (i < len(captions))
            else ""
        )
        drawn = "".join(_svg(shape) for shape in shapes)
        groups.append(f'<g transform="translate({shift:.1f} 0)">{drawn}{caption}</g>')
        x += high[0] - low[0] + _BETWEEN_MM
        top, height = max(top, high[1]), max(height, high[1] - low[1])
    wide = x - _BETWEEN_MM + 2 * _MARGIN_MM
    high_mm = height + 2 * _MARGIN_MM + (24 if captions else 0)
    box = f"{-_MARGIN_MM:.1f} {-top - _MARGIN_MM:.1f} {wide:.1f} {high_mm:.1f}"
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{wide:.1f}mm" height="{high_mm:.1f}mm" viewBox="{box}">'
        f"<title>{escape(title)}</title>"
        "<style>path{stroke-linejoin:round;stroke-linecap:round}text{font:12px sans-serif;text-anchor:middle}</style>"
        f"{''.join(groups)}</svg>"
    )


def seen_from(seen: OnBody, turn_deg: float) -> Seen:
    """What is seen of it once she is turned."""
    turn = turn_by(turn_deg)
    found: list[tuple[float, Shape]] = []
    corners = []
    for patch in seen.patches:
        points = np.array(patch.points).reshape(patch.rows, patch.columns, 3) @ turn.T
        corners.append(points.reshape(-1, 3)[:, :2])
        found += _quads(patch, points)
    found.sort(key=lambda one: one[0])
    before = [shape for depth, shape in found if shape.what in _LOOSE and depth > 0]  # hides what lies on the cloth
    shapes = [shape for depth, shape in found if shape.what not in _LOOSE or depth <= 0]
    over: list[Shape] = []
    for line in seen.lines:
        points = np.array(line.points)
        seen_points = points @ turn.T
        colour, wide = _COLOURS.get(line.what, _INK), _WIDTHS.get(line.what, 0.7)
        for a, b in runs_of(facing(points, turn_deg)):
            if b - a > 1:
                (over if line.what == "limit" else shapes).append(
                    Shape(line.what, seen_points[a:b, :2], None, colour, wide)
                )
    for spots in seen.spots:
        points = np.array(spots.points)
        for point in (points @ turn.T)[facing(points, turn_deg)]:
            shapes.append(Shape(spots.what, point[None, :2], _COLOURS["hole"], None, spots.wide_mm))
    both = np.vstack(corners)
    return Seen([*shapes, *before, *over], both.min(axis=0), both.max(axis=0))


def _svg(shape: Shape) -> str:
    if len(shape.points) == 1:
        (x, y), r = shape.points[0], shape.wide_mm / 2
        return f'<circle cx="{x:.1f}" cy="{-y:.1f}" r="{r:.1f}" fill="{shape.fill}"/>'
    way = "M" + "L".join(f"{x:.1f} {-y:.1f}" for x, y in shape.points)
    if shape.fill is not None:
        return f'<path d="{way}Z" fill="{shape.fill}" stroke="{shape.fill}" stroke-width="{shape.wide_mm}"/>'
    dashes = ' stroke-dasharray="6 4"' if shape.what == "limit" else ""
    return (
        f'<path class="{shape.what.replace(" ", "-")}" d="{way}" fill="none" '
        f'stroke="{shape.line}" stroke-width="{shape.wide_mm}"{dashes}/>'
    )


def _quads(patch: Patch, points: Array) -> Iterator[tuple[float, Shape]]:
    """What of a surface faces the eye, with its depth; strips of one row are drawn as one shape."""
    a, b, c, d = points[:-1, :-1], points[:-1, 1:], points[1:, 1:], points[1:, :-1]
    middle = (a + b + c + d) / 4
    outward = np.cross(b - d, c - a)
    out = middle * np.array([1.0, 0.0, 1.0])
    sense = np.sign(np.einsum("ijk,ijk->ij", outward, out))
    faces = sense * outward[:, :, 2] > 1e-9
    her, loose = patch.name == "her", patch.name in _LOOSE
    colour = _SKIN if her else _HUNG if loose else _CLOTH if (patch.panel or 1) % 2 else _CLOTH_2
    for i in range(points.shape[0] - 1):
        seen = [(*run, colour) for run in runs_of(faces[i])]
        seen += [(*run, _INSIDE) for run in runs_of(~faces[i])] if loose else []
        for start, end, fill in seen:
            outline = np.vstack([points[i, start : end + 1], points[i + 1, start : end + 1][::-1]])
            depth = float(middle[i, start:end, 2].mean()) + (-500.0 if her else 0.0)
            yield depth, Shape(patch.name, outline[:, :2], fill, None, 0.4)
