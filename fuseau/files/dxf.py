"""The pattern as DXF in millimetres: one layer each for stitch, cut, waist, grain, notches, channels, holes, text."""

import io

from ezdxf.document import Drawing
from ezdxf.enums import TextEntityAlignment

from fuseau.document.build import Build
from fuseau.files.pieces import Kind, Piece, pattern_pieces, ply_pieces
from fuseau.files.svg import side_by_side
from fuseau.planning.plan import Plan

LAYERS: dict[Kind, tuple[str, int]] = {
    "cut": ("CUT", 7),
    "stitch": ("STITCH", 5),
    "waist": ("WAIST", 1),
    "grain": ("GRAIN", 3),
    "notch": ("NOTCH", 6),
    "channel": ("CHANNEL", 8),
    "hole": ("HOLE", 9),
    "dart": ("DART", 2),
}
_TEXT = "TEXT"
_MILLIMETRES = 4  # $INSUNITS


def pattern_dxf(build: Build, planned: Plan) -> bytes:
    """All pieces side by side, CF to CB, with a 50 mm test square. Raises ValueError while nothing is drafted."""
    return pieces_dxf(pattern_pieces(build, planned))


def plies_dxf(build: Build, planned: Plan) -> bytes:
    """Every piece of every ply, as `pattern_dxf`. Raises ValueError while nothing is drafted."""
    return pieces_dxf(ply_pieces(build, planned))


def pieces_dxf(pieces: list[Piece]) -> bytes:
    """Pieces side by side, waistlines level, with a 50 mm test square."""
    document = Drawing.new("AC1024")
    document.header["$MEASUREMENT"] = 1
    document.header["$INSUNITS"] = _MILLIMETRES
    for name, colour in (*LAYERS.values(), (_TEXT, 7)):
        document.layers.add(name, color=colour)
    space = document.modelspace()
    placed = side_by_side(pieces)
    for piece in placed:
        for stroke in piece.strokes:
            layer = {"layer": LAYERS[stroke.kind][0]}
            if stroke.centre is not None:
                space.add_circle(stroke.centre, stroke.radius_mm, dxfattribs=layer)
                continue
            space.add_lwpolyline(stroke.points, close=stroke.closed, dxfattribs=layer)
        for label in piece.labels:
            text = space.add_text(label.text, height=label.size_mm, rotation=label.angle, dxfattribs={"layer": _TEXT})
            text.set_placement(label.at, align=TextEntityAlignment.MIDDLE_CENTER)
    low = min(piece.bounds[1] for piece in placed) - 60
    space.add_lwpolyline(
        [(10, low), (60, low), (60, low + 50), (10, low + 50)], close=True, dxfattribs={"layer": _TEXT}
    )
    space.add_text("50 mm", height=4, dxfattribs={"layer": _TEXT}).set_placement((14, low + 24))
    left, right = min(10.0, *(one.bounds[0] for one in placed)), max(60.0, *(one.bounds[2] for one in placed))
    space.reset_extents((left, low, 0.0), (right, max(one.bounds[3] for one in placed), 0.0))
    target = io.StringIO()
    document.write(target)
    return target.getvalue().encode()
