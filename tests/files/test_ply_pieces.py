"""Pieces of every ply as files, read back: closed, as large as they are, and named."""

import io
import xml.etree.ElementTree as ET

import ezdxf
import pytest
from pypdf import PdfReader
from shapely.geometry import LineString, Point, Polygon

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.craft.pattern.cups import wire_notches
from fuseau.files.pieces import pattern_pieces, ply_pieces
from fuseau.files.prints import print_of
from fuseau.planning.stages.cut import pieces_of
from tests.kinds import built
from tests.plans import plan

SVG = "{http://www.w3.org/2000/svg}"


@pytest.fixture(scope="module")
def layered():
    plies = [
        {"role": "lining", "cloth": "lawn"},
        {"role": "strength", "cloth": "coutil"},
        {"role": "fashion", "cloth": "brocade", "allowances": {"seams_mm": 20}},
        {"role": "overlay", "cloth": "lace", "panels": [1, 2], "grain": "bias"},
    ]
    return change(built("underbust corset"), [Change(at="layers.plies", value=plies)], "cm")


def test_every_piece_of_the_svg_is_as_large_as_it_is_cut(layered):
    planned = plan(layered)
    root = ET.fromstring(print_of("plies.svg", layered, planned, "a4", "cm"))
    groups = {group.get("id"): group for group in root.findall(f"{SVG}g") if group.get("id") != "test-square"}
    pieces = pieces_of(layered, planned)
    assert list(groups) == [piece.key.replace(" ", "-") for piece in pieces]
    for piece, group in zip(pieces, groups.values(), strict=True):
        (cut,) = [line for line in group.iter(f"{SVG}polygon") if line.get("class") == "cut"]
        outline = Polygon([tuple(map(float, spot.split(","))) for spot in cut.get("points").split()])
        assert outline.is_valid
        assert outline.area == pytest.approx(piece.area_mm2, rel=1e-4)
        said = " ".join(text.text for text in group.iter(f"{SVG}text"))
        assert layered.cloths[piece.cloth].label in said
        assert f"cut {piece.count}" in said
        assert ("TOP the same way" in said) == piece.one_way


def test_the_dxf_has_a_closed_cut_and_stitch_line_for_every_piece(layered):
    planned = plan(layered)
    document = ezdxf.read(io.StringIO(print_of("plies.dxf", layered, planned, "a4", "cm").decode()))
    for layer in ("CUT", "STITCH"):
        lines = [line for line in document.modelspace().query("LWPOLYLINE") if line.dxf.layer == layer]
        assert len(lines) == len(pieces_of(layered, planned))
        assert all(line.closed for line in lines)


def test_the_tiled_pages_say_how_many_pieces_there_are(layered):
    planned = plan(layered)
    text = PdfReader(io.BytesIO(print_of("plies.pdf", layered, planned, "a4", "cm"))).pages[0].extract_text()
    assert f"{len(pieces_of(layered, planned))} pieces of 4 plies" in text


@pytest.mark.parametrize("kind", ["underbust corset", "strapless bodice"])
def test_every_piece_of_a_ply_has_the_notches_of_the_pattern(kind):
    build = built(kind)
    planned = plan(build)
    wanted = {}
    for piece in pattern_pieces(build, planned):
        ticks = [stroke.points for stroke in piece.strokes if stroke.kind == "notch"]
        wanted[piece.name.removeprefix("panel ")] = ticks
    assert all(wanted.values())
    for cloth, drawn in zip(pieces_of(build, planned), ply_pieces(build, planned), strict=True):
        if cloth.what in ("panel", "cup"):
            ticks = [stroke.points for stroke in drawn.strokes if stroke.kind == "notch"]
            assert ticks == wanted[cloth.label]


def test_parts_of_a_panel_share_its_notches(layered):
    join = [Change(at="layers.plies.1.joins", value=[{"panel": 1, "z_mm": 30}])]
    build = change(layered, join, "cm")
    planned = plan(build)
    drawn = {piece.name: piece for piece in ply_pieces(build, planned)}

    def notches(name):
        return [stroke.points for stroke in drawn[name].strokes if stroke.kind == "notch"]

    whole = notches("1 lining 1")
    parts = notches("2 strength 1 lower") + notches("2 strength 1 upper")
    assert len(whole) > 0
    assert sorted(parts) == sorted(whole)


def test_a_cup_meets_the_body_at_its_lowest_point_and_half_way_up_its_wire():
    planned = plan(built("strapless bodice"))
    cup, tops = planned.pattern.cup, [panel.top for panel in planned.pattern.panels]
    found = wire_notches(tops, cup)
    assert sum(map(len, found)) == 4
    # along the wire from the first mark to the last
    run, at = 0.0, []
    for top, spots in zip(tops, found, strict=True):
        line = LineString(top)
        for spot in spots:
            assert line.distance(Point(spot)) < 1e-6
            at.append(run + line.project(Point(spot)))
        run += line.length
    cf_side, low, near, far = at
    assert low - cf_side == pytest.approx(cup.wire_mm / 4, abs=0.1)
    assert (near + far) / 2 - low == pytest.approx(cup.wire_mm / 4, abs=0.1)
    for piece, marks in zip(cup.pieces, (1, 2), strict=True):
        ring = LineString([*piece.outline, piece.outline[0]])
        point, *wire = (ring.project(Point(spot)) for spot in piece.notches)
        assert len(wire) == marks
        # the outline goes up the seam, over the top, and down the wire to where it began
        assert ring.length - sum(wire) / marks == pytest.approx(piece.edges_mm["wire edge"] / 2, abs=0.1)
        assert point < piece.edges_mm["seam over the bust point"]
