"""The pattern as SVG with real units: one user unit is one millimetre."""

import re
from xml.sax.saxutils import escape

from fuseau.document.build import Build
from fuseau.files.pieces import Kind, Piece, Spot, pattern_pieces, ply_pieces
from fuseau.planning.plan import Plan

_GAP_MM = 15.0
_MARGIN_MM = 10.0

_LOOKS: dict[Kind, str] = {
    "cut": 'stroke="#000" stroke-width="0.5"',
    "stitch": 'stroke="#000" stroke-width="0.3" stroke-dasharray="4 2"',
    "waist": 'stroke="#000" stroke-width="0.3"',
    "grain": 'stroke="#000" stroke-width="0.3"',
    "notch": 'stroke="#000" stroke-width="0.4"',
    "channel": 'stroke="#555" stroke-width="0.2" stroke-dasharray="1 1"',
    "hole": 'stroke="#555" stroke-width="0.25"',
    "dart": 'stroke="#000" stroke-width="0.3" stroke-dasharray="4 2"',
}


def pattern_svg(build: Build, planned: Plan) -> str:
    """All panels side by side, CF to CB, with a 50 mm test square. Raises ValueError while nothing is drafted."""
    return pieces_svg(pattern_pieces(build, planned), build.brief.name)


def plies_svg(build: Build, planned: Plan) -> str:
    """Every piece of every ply, as `pattern_svg`. Raises ValueError while nothing is drafted."""
    return pieces_svg(ply_pieces(build, planned), f"{build.brief.name}, every ply")


def pieces_svg(pieces: list[Piece], title: str) -> str:
    """Pieces side by side, waistlines level, with a 50 mm test square."""
    placed = side_by_side(pieces)
    top = max(piece.bounds[3] for piece in placed)
    low = min(piece.bounds[1] for piece in placed)
    width = placed[-1].bounds[2] + _MARGIN_MM
    height = top - low + 2 * _MARGIN_MM + 60

    def flip(spot: Spot) -> str:
        return f"{spot[0]:.3f},{top - spot[1] + _MARGIN_MM:.3f}"

    parts = [
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width:.2f}mm" height="{height:.2f}mm" '
        f'viewBox="0 0 {width:.2f} {height:.2f}" fill="none" font-family="sans-serif">',
        f"<title>{escape(title)}</title>",
        f'<g id="test-square"><rect x="{_MARGIN_MM}" y="{height - 55:.2f}" width="50" height="50" '
        f'stroke="#000" stroke-width="0.3"/><text x="{_MARGIN_MM + 25}" y="{height - 28:.2f}" font-size="4" '
        'fill="#000" text-anchor="middle">50 mm</text></g>',
    ]
    for piece in placed:
        parts.append(f'<g id="{_id_of(piece.name)}">')
        for kind in _LOOKS:
            lines = [stroke for stroke in piece.strokes if stroke.kind == kind]
            if lines:
                parts.append(f'<g class="{kind}" {_LOOKS[kind]}>')
                for stroke in lines:
                    if stroke.centre is not None:
                        x, y = flip(stroke.centre).split(",")
                        parts.append(f'<circle class="{kind}" cx="{x}" cy="{y}" r="{stroke.radius_mm:.3f}"/>')
                        continue
                    tag = "polygon" if stroke.closed else "polyline"
                    parts.append(f'<{tag} class="{kind}" points="{" ".join(map(flip, stroke.points))}"/>')
                parts.append("</g>")
        for label in piece.labels:
            x, y = flip(label.at).split(",")
            below = float(y) + label.size_mm / 2  # the baseline of what is centred there
            turn = f' transform="rotate({-label.angle:g} {x} {y})"' if label.angle else ""
            parts.append(
                f'<text x="{x}" y="{below:.3f}" font-size="{label.size_mm * 1.4:.2f}" fill="#000" '
                f'text-anchor="middle"{turn}>{escape(label.text)}</text>'
            )
        parts.append("</g>")
    parts.append("</svg>\n")
    return "\n".join(parts)


def _id_of(name: str) -> str:
    """A name that can be one: letters, digits and hyphens."""
    return re.sub(r"[^A-Za-z0-9]+", "-", name).strip("-")


def side_by_side(pieces: list[Piece]) -> list[Piece]:
    """Pieces in a row from the left margin, waistlines level."""
    placed = []
    x = _MARGIN_MM
    for piece in pieces:
        moved = piece.moved(x - piece.bounds[0], 0)
        placed.append(moved)
        x = moved.bounds[2] + _GAP_MM
    return placed
