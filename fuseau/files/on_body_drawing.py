"""The garment on her as a drawing in SVG, 1 unit = 1 mm, from any side without perspective (model, section 17)."""

from collections.abc import Sequence
from xml.sax.saxutils import escape

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.worn.sight import facing, runs_of, turn_by
from fuseau.craft.worn.surface import Patch
from fuseau.planning.on_body import OnBody

_SKIN, _CLOTH, _CLOTH_2, _INK = "#e4d8cb", "#c3ccd6", "#cfd6df", "#1d2733"
_WIDTHS = {"top": 1.4, "hem": 1.4, "CB": 1.2, "bone": 2.2, "opening": 2.4, "lace": 1.2, "trim": 1.8, "limit": 1.2}
_COLOURS = {"bone": "#ffffff", "lace": "#8a6314", "hole": "#8a6314", "trim": "#8a6314", "area": "#8a6314"}
_MARGIN_MM = 12.0
_BETWEEN_MM = 60.0


def draw_on_body(seen: OnBody, turns_deg: Sequence[float], title: str, captions: Sequence[str] = ()) -> str:
    """The garment from each of these turns (° about upright, 0 from in front), beside each other."""
    groups, x = [], 0.0
    height, top = 0.0, 0.0
    for i, turn in enumerate(turns_deg):
        shapes, low, high = _seen_from(seen, turn)
        shift = x - low[0]
        caption = (
            f'<text x="{(low[0] + high[0]) / 2:.1f}" y="{-low[1] + 18:.1f}">{escape(captions[i])}</text>'
            if (i < len(captions))
            else ""
        )
        groups.append(f'<g transform="translate({shift:.1f} 0)">{"".join(shapes)}{caption}</g>')
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


def _seen_from(seen: OnBody, turn_deg: float) -> tuple[list[str], Array, Array]:
    """Shapes from the farthest to the nearest, and the corners of the box about them, mm (y up)."""
    turn = turn_by(turn_deg)
    found: list[tuple[float, str]] = []
    corners = []
    for patch in seen.patches:
        points = np.array(patch.points).reshape(patch.rows, patch.columns, 3) @ turn.T
        corners.append(points.reshape(-1, 3)[:, :2])
        found += _quads(patch, points)
    shapes = [shape for _, shape in sorted(found, key=lambda one: one[0])]
    for line in seen.lines:
        points = np.array(line.points)
        seen_points = points @ turn.T
        for part in (seen_points[a:b] for a, b in runs_of(facing(points, turn_deg)) if b - a > 1):
            dashes = ' stroke-dasharray="6 4"' if line.what == "limit" else ""
            shapes.append(
                f'<path class="{line.what.replace(" ", "-")}" d="{_way(part)}" fill="none" '
                f'stroke="{_COLOURS.get(line.what, _INK)}" stroke-width="{_WIDTHS.get(line.what, 0.7)}"{dashes}/>'
            )
    for spots in seen.spots:
        points = np.array(spots.points)
        for x, y, _ in (points @ turn.T)[facing(points, turn_deg)]:
            shapes.append(f'<circle cx="{x:.1f}" cy="{-y:.1f}" r="{spots.wide_mm / 2:.1f}" fill="{_COLOURS["hole"]}"/>')
    both = np.vstack(corners)
    return shapes, both.min(axis=0), both.max(axis=0)


def _quads(patch: Patch, points: Array) -> list[tuple[float, str]]:
    """What of a surface faces the eye, with its depth; strips of one row are drawn as one shape."""
    a, b, c, d = points[:-1, :-1], points[:-1, 1:], points[1:, 1:], points[1:, :-1]
    middle = (a + b + c + d) / 4
    outward = np.cross(b - d, c - a)
    out = middle * np.array([1.0, 0.0, 1.0])
    sense = np.sign(np.einsum("ijk,ijk->ij", outward, out))
    faces = sense * outward[:, :, 2] > 1e-9
    her = patch.name == "her"
    colour = _SKIN if her else _CLOTH if (patch.panel or 1) % 2 else _CLOTH_2
    found = []
    for i in range(points.shape[0] - 1):
        for start, end in runs_of(faces[i]):
            outline = np.vstack([points[i, start : end + 1], points[i + 1, start : end + 1][::-1]])
            depth = float(middle[i, start:end, 2].mean()) + (-500.0 if her else 0.0)
            shape = f'<path d="{_way(outline)}Z" fill="{colour}" stroke="{colour}" stroke-width="0.4"/>'
            found.append((depth, shape))
    return found


def _way(points: Array) -> str:
    return "M" + "L".join(f"{x:.1f} {-y:.1f}" for x, y, *_ in points)
