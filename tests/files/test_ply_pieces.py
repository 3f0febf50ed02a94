"""Pieces of every ply as files, read back: closed, as large as they are, and named."""

import io
import xml.etree.ElementTree as ET

import ezdxf
import pytest
from pypdf import PdfReader
from shapely.geometry import Polygon

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.files.prints import print_of
from fuseau.planning.cut import pieces_of
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
