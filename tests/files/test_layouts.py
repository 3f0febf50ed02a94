"""A laid cloth on paper and as a drawing, read back: every piece where it lies, at its size."""

import io
import xml.etree.ElementTree as ElementTree

import pytest
from pypdf import PdfReader
from shapely.geometry import Polygon

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.layout.at_hand import LayAsk, lay_quickly
from fuseau.files.layouts import LaidCloth, layout_pdf, layout_svg
from tests.craft.layout.cloth_pieces import piece, sheet

SVG = "{http://www.w3.org/2000/svg}"
PARTS = (piece("2 strength 1"), piece("2 strength 2", ((0, 0), (0, 260), (70, 250), (90, 0))))
SCRAP = sheet("s4", ((0, 0), (270, 0), (260, 130), (0, 120)), flaws=(((245, 50), (255, 50), (250, 60)),))


def laid(*sheets):
    laying = lay_quickly(LayAsk(PARTS, sheets, 1400))
    return LaidCloth("Tidewarden", 2, "coutil", laying, {"s4": "scrap drawer"})


def points(polygon):
    return [tuple(map(float, spot.split(","))) for spot in polygon.get("points").split()]


def test_pieces_measured_back_from_the_drawing_are_as_large_as_they_are_cut_and_clear_of_each_other():
    drawn = laid(SCRAP)
    root = ElementTree.fromstring(layout_svg(drawn))
    assert root.get("width").endswith("mm")
    shapes = [Polygon(points(one.find(f"{SVG}polygon"))) for one in root.iter(f"{SVG}g") if one.get("class") == "piece"]
    wanted = sorted(one.area_mm2 for one in PARTS for _ in range(2))
    assert [shape.area for shape in sorted(shapes, key=lambda shape: shape.area)] == pytest.approx(wanted, rel=1e-3)
    for i, shape in enumerate(shapes):
        assert all(shape.intersection(other).area < 1 for other in shapes[:i])
    cloths = [Polygon(points(one)) for one in root.iter(f"{SVG}polygon") if one.get("class") == "cloth"]
    assert len(cloths) == 2
    assert all(any(cloth.buffer(0.2).covers(shape) for cloth in cloths) for shape in shapes)
    assert len([one for one in root.iter(f"{SVG}polygon") if one.get("class") == "flaw"]) == 1


@pytest.mark.parametrize("paper", ["a4", "letter"])
def test_every_sheet_has_a_page_that_says_where_each_piece_lies(paper):
    drawn = laid(SCRAP)
    pages = PdfReader(io.BytesIO(layout_pdf(drawn, paper, "cm"))).pages
    texts = [page.extract_text() for page in pages]
    assert len(texts) == 2
    assert "coutil: scrap drawer" in texts[0]
    assert "Tidewarden, version 2" in texts[0]
    assert "coutil: new cloth" in texts[1]
    told = "".join(texts)
    assert told.count("2 strength 1") == told.count("2 strength 2") == 2
    assert told.count("face down") == 2
    for one in drawn.laying.marker.placed:
        left = max(0.0, min(x for x, _ in one.outline))
        assert f"{left / 10:.1f} cm from the end" in texts[1]
    assert "guard on" in texts[0]
    inches = "".join(page.extract_text() for page in PdfReader(io.BytesIO(layout_pdf(drawn, paper, "in"))).pages)
    assert " cm " not in inches


def test_nothing_laid_is_nothing_to_print():
    empty = LaidCloth("x", None, "coutil", lay_quickly(LayAsk((), (), 1400)), {})
    with pytest.raises(Unmakeable):
        layout_pdf(empty, "a4", "cm")
