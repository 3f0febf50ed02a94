"""The strips at 1:1, measured back from the PDF: bones, the front's two sides, the punching strip."""

import io
import re

import numpy as np
import pytest
from pypdf import PdfReader

from fuseau.craft.materials.catalogue import BONES
from fuseau.document.build import Build
from fuseau.files.paper import SIZES_MM
from fuseau.files.strips import bone_pieces, bones_pdf, front_pdf, front_pieces, hole_pieces, holes_pdf
from fuseau.files.tiles import MARGIN_MM, OVERLAP_MM
from tests.files.test_documents_and_prints import boxes, lines
from tests.kinds import built
from tests.plans import plan
from tests.saying import refused

CORSET = built("underbust corset")
PLANNED = plan(CORSET)


def drawn(pdf, paper="a4"):
    """Every polyline of every tile once, in millimetres of the sheet that the tiles are glued to."""
    found = []
    across, down = (side - 2 * MARGIN_MM - OVERLAP_MM for side in SIZES_MM[paper])
    for page in PdfReader(io.BytesIO(pdf)).pages[1:]:
        row, column = re.search(r"([A-Z])(\d+)\s+A underbust", page.extract_text()).groups()
        glued = np.array([(int(column) - 1) * across, -(ord(row) - ord("A")) * down])
        for on_page, width, _ in lines(page):
            points = on_page + glued
            alike = (old for old, _ in found if len(old) == len(points))
            if not any(np.abs(old - points).max() < 0.1 for old in alike):
                found.append((points, width))
    return found


def said(pdf):
    return " ".join(" ".join(page.extract_text() for page in PdfReader(io.BytesIO(pdf)).pages).split())


@pytest.mark.parametrize("paper", ["a4", "letter"])
def test_every_bone_is_as_long_and_as_wide_on_paper_as_it_is_cut(paper):
    pdf = bones_pdf(CORSET, PLANNED, paper, "cm")
    outlines = [points for points, width in drawn(pdf, paper) if width == 0.5 and len(points) > 10]
    sizes = sorted((round(float(np.ptp(p[:, 0])), 1), round(float(np.ptp(p[:, 1])), 1)) for p in outlines)
    behind = {(BONES[PLANNED.modesty.bone].width_mm, mm) for mm in PLANNED.modesty.bones_mm}  # each length once
    assert sizes == sorted([*((one.width_mm, one.length_mm) for one in PLANNED.bones), *behind])
    text = said(pdf)
    for one in PLANNED.bones:
        assert one.channel in text
        assert f"{one.length_mm:g} mm" in text
    assert "Eye protection" in text
    page = PdfReader(io.BytesIO(pdf)).pages[1]
    assert [box for box in boxes(page) if box == pytest.approx((50.0, 50.0), abs=0.05)]


def test_the_mock_ups_ties_have_their_own_lengths():
    pieces = bone_pieces(CORSET, PLANNED, "cm", mock_up=True)
    lengths = {piece.name: piece.bounds[3] - piece.bounds[1] for piece in pieces}
    assert lengths == pytest.approx(PLANNED.mock_up_bones_mm)
    assert "cable tie" in said(bones_pdf(CORSET, PLANNED, "a4", "cm", mock_up=True)).lower()


def test_the_punching_strip_measures_as_planned():
    pdf = holes_pdf(CORSET, PLANNED, "a4", "cm")
    rings = [p for p, width in drawn(pdf) if width == 0.2 and len(p) == 24]
    flanges = sorted(rings, key=lambda ring: -float(ring[:, 1].mean()))
    assert len(flanges) == len(PLANNED.holes.z_mm)
    for ring in flanges:
        assert np.ptp(ring[:, 1]) == pytest.approx(PLANNED.holes.flange_mm, abs=0.1)
    heights = np.array([float(ring[:, 1].mean()) for ring in flanges])
    wanted = np.array(PLANNED.holes.z_mm)
    assert np.diff(heights) == pytest.approx(np.diff(wanted), abs=0.1)
    waist = [p for p, width in drawn(pdf) if len(p) == 2 and width == 0.3 and np.ptp(p[:, 1]) < 0.01]
    level = float(waist[0][0, 1])
    assert heights - level == pytest.approx(wanted, abs=0.1)
    fold = float(waist[0][:, 0].min())
    middle = float(np.mean([ring[:, 0].mean() for ring in flanges]))
    assert middle - fold == pytest.approx(PLANNED.holes.inset_mm, abs=0.1)


def test_the_busk_strip_shows_what_is_sewn_and_left_and_the_knobs():
    loop, knob = front_pieces(PLANNED, "cm")
    high = PLANNED.pattern.panels[0].cf_edge[-1][1]
    sewn = [s for s in loop.strokes if s.kind == "stitch"]
    left = [s for s in loop.strokes if s.kind == "hole"]
    for strokes, kind in ((sewn, "sew"), (left, "leave")):
        spans = [(high - s.points[0][1], high - s.points[1][1]) for s in strokes]
        wanted = [(i.from_mm, i.to_mm) for i in PLANNED.busk.intervals if i.kind == kind]
        assert np.array(spans) == pytest.approx(np.array(wanted))
    knobs = [np.mean([z for _, z in s.points[:24]]) for s in knob.strokes if s.kind == "hole"]
    assert knobs == pytest.approx(list(PLANNED.busk.studs_z_mm), abs=0.01)
    assert "loop side" in said(front_pdf(CORSET, PLANNED, "a4", "cm"))


@pytest.mark.parametrize(("opening", "word"), [("zip", "zip ends"), ("hooks", "eyes"), ("lacing", "left")])
def test_other_openings_have_their_strips_too(opening, word):
    build = built("underbust corset", front__opening=opening)
    planned = plan(build)
    assert word in said(front_pdf(build, planned, "letter", "in"))
    if opening == "lacing":
        assert len(hole_pieces(planned, "cm")) == 2


def test_where_nothing_opens_or_nothing_is_drafted_there_is_no_strip():
    closed = built("underbust corset", front__opening="none")
    with refused("Nothing opens"):
        front_pdf(closed, plan(closed), "a4", "cm")
    with refused("no bones to print"):
        bones_pdf(Build(), plan(Build()), "a4", "cm")
