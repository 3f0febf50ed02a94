"""Large pages, layers, squares, scale bars and true circles, read back as a printer, a viewer or a cutter would."""

import io
import re
import xml.etree.ElementTree as ET

import ezdxf
import numpy as np
import pypdfium2 as pdfium
import pytest
from pypdf import PdfReader

from fuseau.commands.versions import accept, as_of_version
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.files.dxf import pattern_dxf
from fuseau.files.large import large_pdf
from fuseau.files.svg import pattern_svg
from fuseau.files.tiles import pattern_pdf
from tests.conftest import edited
from tests.kinds import ALL_KINDS, built
from tests.plans import plan
from tests.vectors import TODAY, tried

MM = 72 / 25.4
BUILD = built("underbust corset")
PLAN = plan(BUILD)


def rectangles(page):
    text = page.get_contents().get_data().decode("latin-1")
    found = re.findall(r"[-\d.]+ [-\d.]+ ([-\d.]+) ([-\d.]+) re S", text)
    return [(float(wide) / MM, float(high) / MM) for wide, high in found]


@pytest.mark.parametrize("roll", [600, 841, 914, 1067])
@pytest.mark.parametrize("unit", ["cm", "in"])
def test_one_large_page_is_as_wide_as_the_roll_with_its_square(roll, unit):
    (page,) = PdfReader(io.BytesIO(large_pdf(BUILD, PLAN, roll, unit))).pages
    assert float(page.mediabox.width) / MM == pytest.approx(roll, abs=0.05)
    squares = [round(wide, 1) for wide, high in rectangles(page) if wide == pytest.approx(high, abs=0.01)]
    assert squares == ([100.0, 101.6] if unit == "in" else [100.0])
    text = page.extract_text()
    assert "no scaling" in text
    assert f"{BUILD.brief.name}, draft" in text
    assert ("2 in" if unit == "in" else "50 mm") in text


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_nothing_lies_off_the_large_page(kind):
    build = built(kind)
    content = large_pdf(build, plan(build), 600, "cm")
    (page,) = pdfium.PdfDocument(content)
    picture = np.array(page.render(scale=0.5).to_pil().convert("L"))
    for edge in (picture[:2], picture[-2:], picture[:, :2], picture[:, -2:]):
        assert (edge == 255).all()


def test_layers_are_switched_and_hide_what_is_theirs():
    content = large_pdf(BUILD, PLAN, 914, "cm", layers=True)
    reader = PdfReader(io.BytesIO(content))
    properties = reader.trailer["/Root"]["/OCProperties"]
    names = [group.get_object()["/Name"] for group in properties["/OCGs"]]
    assert names == ["cut lines", "stitch lines", "waist and grain", "notches", "channels", "holes", "text"]
    assert len(properties["/D"]["/ON"]) == len(names)
    (page,) = reader.pages
    marked = page.get_contents().get_data().decode("latin-1")
    assert [f"/L{i}" in page["/Resources"]["/Properties"] for i in range(7)] == [True] * 7
    assert marked.count(" BDC") == marked.count("EMC") == 7
    assert page.extract_text().count("TOP") >= 6  # the fonts are there all the same
    plain = np.array(pdfium.PdfDocument(large_pdf(BUILD, PLAN, 914, "cm"))[0].render(scale=0.4).to_pil().convert("L"))
    thick = np.array(pdfium.PdfDocument(content)[0].render(scale=0.4).to_pil().convert("L"))
    assert thick.shape == plain.shape
    assert (thick < 128).sum() > 1.2 * (plain < 128).sum()


def test_every_page_can_be_measured_and_is_not_scaled():
    reader = PdfReader(io.BytesIO(pattern_pdf(BUILD, PLAN, "a4", "in")))
    assert reader.trailer["/Root"]["/ViewerPreferences"]["/PrintScaling"] == "/None"
    assert reader.metadata.title == f"{BUILD.brief.name}, draft: pattern at 1:1"
    assert reader.metadata.author
    squares = [wide for wide, high in rectangles(reader.pages[1]) if wide == pytest.approx(high, abs=0.01)]
    assert squares[:2] == pytest.approx([50.0, 50.8], abs=0.05)
    for page in reader.pages[1:]:
        assert "2 in" in page.extract_text()
        fonts = page["/Resources"]["/Font"].get_object().values()
        embedded = [one.get_object() for one in fonts if "/FontDescriptor" in one.get_object()]
        assert embedded
        assert all("/FontFile2" in one["/FontDescriptor"] for one in embedded)


def test_holes_are_true_circles_of_their_size():
    root = ET.fromstring(pattern_svg(BUILD, PLAN))
    circles = root.findall(".//{http://www.w3.org/2000/svg}circle")
    assert len(circles) == len(PLAN.holes.z_mm)
    assert {float(one.get("r")) for one in circles} == {PLAN.holes.hole_mm / 2}
    document = ezdxf.read(io.StringIO(pattern_dxf(BUILD, PLAN).decode()))
    found = document.modelspace().query("CIRCLE")
    assert len(found) == len(PLAN.holes.z_mm)
    assert {(one.dxf.layer, one.dxf.radius) for one in found} == {("HOLE", PLAN.holes.hole_mm / 2)}
    (left, low, _), (right, high, _) = document.header["$EXTMIN"], document.header["$EXTMAX"]
    for line in document.modelspace().query("LWPOLYLINE"):
        for x, y, *_ in line.get_points():
            assert left - 0.01 <= x <= right + 0.01
            assert low - 0.01 <= y <= high + 0.01


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_names_in_the_drawing_are_plain(kind):
    root = ET.fromstring(pattern_svg(built(kind), plan(built(kind))))
    ids = [one.get("id") for one in root.iter() if one.get("id")]
    assert ids
    assert all(re.fullmatch(r"[A-Za-z0-9-]+", one) for one in ids)
    assert len(set(ids)) == len(ids)


def test_any_version_is_printed_as_it_was():
    build = accept(tried(), plan(tried()), TODAY)
    last = build.current.number
    assert last > 1
    assert as_of_version(build, last) == build
    first = as_of_version(build, 1)
    assert (first.current.number, first.fittings) == (1, ())
    assert plan(first).pattern.panels == lay_flat(build.versions[0].pattern, build.practice).panels
    assert "version 1" in PdfReader(io.BytesIO(pattern_pdf(first, plan(first), "a4"))).pages[1].extract_text()
    with pytest.raises(Unmakeable):
        as_of_version(build, 9)


def test_a_name_in_other_scripts_and_arrows_are_printed_as_they_are():
    build = edited(BUILD, brief__name="Лампа Ωμέγα לילה → Łódź")
    reader = PdfReader(io.BytesIO(pattern_pdf(build, plan(build), "a4")))
    text = "\n".join(page.extract_text() for page in reader.pages)
    assert "Лампа Ωμέγα" in text
    assert "Łódź" in text
    assert "← to CF" in text
