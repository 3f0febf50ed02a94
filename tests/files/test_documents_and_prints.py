"""What leaves, read back: the open file, the SVG, the tiled PDF and the list."""

import io
import json
import re
import xml.etree.ElementTree as ElementTree
from pathlib import Path

import jsonschema
import numpy as np
import pytest
from hypothesis import assume, example, given, settings
from hypothesis import strategies as st
from pypdf import PdfReader
from shapely.geometry import LineString, Point, Polygon, box
from typer.testing import CliRunner

from fuseau.app.work import it_takes
from fuseau.cli import main
from fuseau.commands.fittings import log_fitting
from fuseau.craft.base.lengths import format_length
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from fuseau.files.document import document_schema, read_document, write_document
from fuseau.files.hardware_list import list_pdf
from fuseau.files.paper import SIZES_MM
from fuseau.files.pieces import _grain_within, pattern_pieces, ply_pieces
from fuseau.files.svg import pattern_svg
from fuseau.files.tiles import MARGIN_MM, OVERLAP_MM, pattern_pdf
from fuseau.files.unreadable import UnreadableFile
from tests.conftest import TODAY, edited
from tests.kinds import built
from tests.plans import plan
from tests.saying import said

MM = 72 / 25.4
READINGS = [{"z_mm": z, "gap_mm": gap} for z, gap in ((95, 32), (0, 44), (-110, 59))]


@pytest.fixture
def tried(measured):
    return log_fitting(measured, plan(measured), {"pull": "close", "readings": READINGS}, TODAY, "cm")


# --- the open file


def test_export_then_import_is_identity(tried):
    assert read_document(write_document(tried)) == tried


@settings(max_examples=30)
@given(
    name=st.text(st.characters(exclude_categories=("Cc", "Cs", "Cn", "Cf", "Zl", "Zp")), max_size=40),
    girth=st.floats(400, 2000),
    percent=st.floats(0, 30),
    gap=st.floats(0, 200),
    panels=st.integers(4, 7),
)
def test_any_build_comes_back_the_same(name, girth, percent, gap, panels):
    build = edited(
        Build(),
        brief__name=name,
        wearer__waist__readings_mm=[girth],
        target__reduction_percent=percent,
        target__gap_mm=gap,
        draft__panels=panels,
    )
    assert read_document(write_document(build)) == build


def test_the_file_follows_the_published_schema(tried):
    schema = json.loads(Path("docs/build.schema.json").read_text())
    assert schema == json.loads(json.dumps(document_schema()))
    jsonschema.validate(json.loads(write_document(tried)), schema)
    with pytest.raises(jsonschema.ValidationError):
        jsonschema.validate({"format": "fuseau.build", "target": {"gap_mm": -4}}, schema)


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (b"", "empty"),
        (b"   \n", "empty"),
        (b'{"format": "fuseau.build", "ver', "breaks off or is damaged at line 1"),
        (b"\x89PNG\r\n\x1a\n\xff\xfe", "not a text file"),
        (b'{"hello": 1}', "not a Fuseau build"),
        (b"[1, 2]", "not a Fuseau build"),
        (b'{"format": "fuseau.build", "version": 9}', "newer Fuseau (file version 9"),
        (b'{"format": "fuseau.build", "version": 1, "colour": "red"}', "fault at colour"),
        (b'{"format": "fuseau.build", "target": {"gap_mm": 9999}}', "fault at target.gap_mm"),
        (b'{"format": "fuseau.build", "target": {"gap_mm": NaN}}', "NaN"),
        (b"[" * 100_000, "nested too deeply"),
        (b" " * 50_000_000 + b"{}", "50.0 MB"),
    ],
)
def test_a_file_that_is_no_build_is_told_in_one_sentence(content, says):
    with pytest.raises(UnreadableFile) as caught:
        read_document(content)
    assert says in said(caught.value.sentence)
    assert said(caught.value.sentence).count("\n") == 0


# --- SVG


def test_the_svg_measures_the_planned_girths(measured):
    planned = plan(measured)
    root = ElementTree.fromstring(pattern_svg(measured, planned))
    name = "{http://www.w3.org/2000/svg}"
    width, height = (float(root.get(side).removesuffix("mm")) for side in ("width", "height"))
    assert root.get("viewBox") == f"0 0 {width:.2f} {height:.2f}"
    groups = {group.get("id"): group for group in root.findall(f"{name}g")}
    square = groups["test-square"].find(f"{name}rect")
    assert (square.get("width"), square.get("height")) == ("50", "50")
    half = 0.0
    for number in range(1, 7):
        group = groups[f"panel-{number}"]
        line = next(g for g in group.findall(f"{name}g") if g.get("class") == "waist").find(f"{name}polyline")
        (x0, y0), (x1, y1) = (map(float, point.split(",")) for point in line.get("points").split())
        assert y0 == y1
        half += x1 - x0
    waist = next(level for level in planned.levels if level.name == "waist")
    assert 2 * half == pytest.approx(waist.closed_mm, abs=0.1)


# --- PDF


def boxes(page) -> list[tuple[float, float]]:
    """Width and height in mm of the rectangles that a page draws."""
    text = page.get_contents().get_data().decode("latin-1")
    return [(float(w) / MM, float(h) / MM) for w, h in re.findall(r"[-\d.]+ [-\d.]+ ([-\d.]+) ([-\d.]+) re S", text)]


@pytest.mark.parametrize("paper", ["a4", "letter"])
def test_the_test_square_is_fifty_millimetres(measured, paper):
    reader = PdfReader(io.BytesIO(pattern_pdf(measured, plan(measured), paper)))
    for page in reader.pages:
        size = float(page.mediabox.width) / MM, float(page.mediabox.height) / MM
        assert size == pytest.approx(SIZES_MM[paper], abs=0.05)
        assert page.get("/Rotate", 0) == 0
        assert float(page.get("/UserUnit", 1)) == 1
    square = [box for box in boxes(reader.pages[1]) if box == pytest.approx((50.0, 50.0), abs=0.05)]
    assert square
    assert "measure me first" in reader.pages[1].extract_text()
    assert "A1" in reader.pages[1].extract_text()


def lines(page) -> list[tuple[np.ndarray, float, tuple[float, ...]]]:
    """The polylines of a tile in sheet millimetres, with their line width and dash."""
    width, dash, offset = 0.0, (), (0.0, 0.0)
    found, stack, path = [], [], []
    for operands, operator in page.get_contents().operations:
        op = operator.decode()
        if op == "q":
            stack.append((width, dash, offset))
        elif op == "Q":
            width, dash, offset = stack.pop()
        elif op == "cm":
            a, b, _, _, e, f = map(float, operands)
            if (a, b) == (1.0, 0.0):
                offset = (offset[0] + e, offset[1] + f)
        elif op == "w":
            width = float(operands[0]) / MM
        elif op == "d":
            dash = tuple(float(part) / MM for part in operands[0])
        elif op == "m":
            path = [tuple(map(float, operands))]
        elif op == "l":
            path.append(tuple(map(float, operands)))
        elif op in ("S", "s") and path:
            found.append(((np.array(path) + offset) / MM, round(width, 2), tuple(round(part) for part in dash)))
            path = []
    return found


@pytest.mark.parametrize(("paper", "panels"), [("a4", 6), ("letter", 5)])
def test_the_tiles_measured_back_give_the_planned_waist(measured, paper, panels):
    build = edited(measured, draft__panels=panels)
    planned = plan(build)
    reader = PdfReader(io.BytesIO(pattern_pdf(build, planned, paper)))
    found = {}
    for page in reader.pages[1:]:
        for points, width, dash in lines(page):
            if width == 0.3 and not dash and len(points) == 2 and abs(points[0][1] - points[1][1]) < 1e-6:
                length = float(points[1][0] - points[0][0])
                found[round(length, 3)] = length
    half = sum(found.values())
    waist = next(level for level in planned.levels if level.name == "waist")
    assert len(found) == panels
    assert 2 * half == pytest.approx(waist.closed_mm, abs=0.5)


def test_every_panel_is_on_the_pages_with_labels_and_neighbours(tried):
    reader = PdfReader(io.BytesIO(pattern_pdf(tried, plan(tried), "a4")))
    text = "\n".join(page.extract_text() for page in reader.pages)
    for word in ("TOP", "cut 2, mirrored", "waist", "CF", "CB", "Tidewarden, version 1", "print at 100 %", "A2"):
        assert word in text
    window = SIZES_MM["a4"][0] - 2 * MARGIN_MM
    assert window - OVERLAP_MM > 150


def test_the_list_has_every_bone_way_in_and_caution(tried):
    planned = plan(tried)
    reader = PdfReader(io.BytesIO(list_pdf(tried, planned, "a4", "cm")))
    assert len(reader.pages) <= 2
    text = "\n".join(page.extract_text() for page in reader.pages)
    for bone in planned.bones:
        assert bone.channel in text
        assert f"{bone.length_mm:g} mm" in text
    assert f"A busk of {planned.busk.length_mm:g} mm" in text
    text = " ".join(text.split())
    assert f"{format_length(planned.waist_tape.cuts_mm[0], 'cm')} for each half" in text
    assert f"3 of {format_length(planned.modesty.bones_across_mm[0], 'cm', hardware=True)} across" in text
    assert "pull loops come out" in text
    for way in planned.ways:
        assert said(way.sentence) in text
    crossed = tried.model_copy(update={"back": tried.back.model_copy(update={"pattern": "spiral", "modesty": "none"})})
    reader = PdfReader(io.BytesIO(list_pdf(crossed, plan(crossed), "a4", "cm")))
    plain = "\n".join(page.extract_text() for page in reader.pages)
    assert "pull loops" not in plain
    assert "Modesty panel" not in plain
    assert "no medical advice" in text
    assert "blunt-nosed shears" in text


def test_the_list_is_ticked_off_and_says_what_the_garment_still_takes_and_about_what_it_costs(tried):
    planned = plan(tried)
    takes = it_takes("build", tried, planned)
    reader = PdfReader(io.BytesIO(list_pdf(tried, planned, "a4", "cm", takes)))
    assert len(reader.pages) <= 2
    text = " ".join(" ".join(page.extract_text() for page in reader.pages).split())
    for line in takes.lines:
        cheapest = min(choice.price for choice in line.choices)
        assert line.article.label in text
        assert f"{cheapest:.2f}" in text
    total = sum(min(choice.price for choice in line.choices) for line in takes.lines)
    assert f"as they are sold {total:.2f}" in text
    assert {line.article.sort for line in takes.lines} >= {"cloth", "bone", "busk", "grommets", "lace", "thread"}
    # holes as a strip, from the top down, each with its height
    rest = text.split("The same on both sides.", 1)[1].split("Lace", 1)[0]
    for z in planned.holes.z_mm:
        assert format_length(z, "cm", hardware=True, bare=True) in rest
    ticks = [one for page in reader.pages for one in boxes(page) if one == pytest.approx((8 / MM, 8 / MM), abs=0.02)]
    assert len(ticks) == len(planned.bones) + len(takes.lines)


@pytest.mark.parametrize("kind", GARMENT_KINDS)
def test_labels_cross_no_line_and_lie_on_their_piece(kind):
    build = built(kind)
    planned = plan(build)
    crossed = []
    for piece in (*pattern_pieces(build, planned), *ply_pieces(build, planned)):
        outline = Polygon(next(one.points for one in piece.strokes if one.kind == "cut" and one.closed))
        for label in piece.labels:
            half = 0.5 * label.size_mm, 0.3 * label.size_mm * len(label.text)
            dx, dz = half if label.angle == 90 else half[::-1]
            (x, z) = label.at
            room = box(x - dx, z - dz, x + dx, z + dz)
            drawn = [LineString([*one.points, *one.points[: one.closed]]) for one in piece.strokes]
            if any(line.intersects(room) for line in drawn) or not outline.contains(room):
                crossed.append((piece.name, label.text))
    assert [one for one in crossed if one[0].startswith("panel")] == []
    assert len(crossed) <= 3  # the smallest pieces have no room for all that is to be said of them


@pytest.mark.parametrize("paper", ["a4", "letter"])
def test_the_map_of_pages_fits_its_cover(paper):
    wide, high = SIZES_MM[paper]
    for kind in ("longline corset", "strapless bodice", "neck corset"):
        build = built(kind)
        page = PdfReader(io.BytesIO(pattern_pdf(build, plan(build), paper))).pages[0]
        matrix, stack, corners = np.eye(3), [], []
        for operands, operator in page.get_contents().operations:
            if operator == b"q":
                stack.append(matrix)
            elif operator == b"Q":
                matrix = stack.pop()
            elif operator == b"cm":
                a, b, c, d, e, f = map(float, operands)
                matrix = np.array([[a, b, 0], [c, d, 0], [e, f, 1]]) @ matrix
            elif operator == b"re":
                x, y, across, up = map(float, operands)
                corners += [np.array([x, y, 1]) @ matrix, np.array([x + across, y + up, 1]) @ matrix]
        spots = np.array(corners)[:, :2] / MM
        assert len(spots) >= 4
        assert spots.min() >= 10
        assert (spots.max(axis=0) <= (wide - 10, high - 30)).all()


def test_a_strong_reduction_is_warned_of_on_the_list(measured):
    build = edited(measured, target__reduction_percent="24")
    text = PdfReader(io.BytesIO(list_pdf(build, plan(build), "letter", "in"))).pages[0].extract_text()
    assert "24 %" in text
    assert "caution limit" in text


@pytest.mark.parametrize("unit", ["cm", "in"])
def test_the_cover_speaks_in_her_unit(tried, unit):
    text = PdfReader(io.BytesIO(pattern_pdf(tried, plan(tried), "letter", unit))).pages[0].extract_text()
    said = {"cm": "Seam allowance 15 mm, top 0, hem 0", "in": "Seam allowance 9/16 in, top 0, hem 0"}[unit]
    assert said in text
    assert re.findall(r"[\d.]+ mm", text) == (["50 mm"] if unit == "in" else ["15 mm", "45 mm", "50 mm"])


def test_cups_have_a_grain_line_and_meet_at_the_bust_point():
    build = edited(built("strapless bodice"), draft__cups=True)
    planned = plan(build)
    halves = {one.name: one for one in planned.pattern.pieces if one.name.startswith("cup")}
    at = [from_lowest(one.outline, one.notches[0]) for one in halves.values()]
    assert at[0] == pytest.approx(at[1], abs=0.1)
    assert 0.5 < at[0] / halves["cup, inner"].edges_mm["seam over the bust point"] < 0.95
    for piece in pattern_pieces(build, planned):
        if piece.name in halves:
            kinds = [one.kind for one in piece.strokes]
            assert kinds.count("grain") == 3
            assert kinds.count("notch") == (2 if piece.name == "cup, inner" else 3)
            grain = next(one for one in piece.strokes if one.kind == "grain")
            stitch = Polygon(next(one.points for one in piece.strokes if one.kind == "stitch"))
            assert stitch.contains(LineString(grain.points))


def from_lowest(outline, at) -> float:
    """How far along the outline, from its lowest point where the seam begins, a place on it lies, mm."""
    return LineString(outline).project(Point(at))


def test_nothing_is_printed_before_there_is_a_pattern():
    with pytest.raises(ValueError, match="no pattern"):
        pattern_pdf(Build(), plan(Build()), "a4")


# --- the command line


def test_the_command_line_plans_prints_and_checks(tmp_path, tried):
    file = tmp_path / "tide.fuseau.json"
    file.write_bytes(write_document(tried))
    run = CliRunner()
    planned = run.invoke(main, ["plan", str(file), "--today", "2026-11-26"])
    assert planned.exit_code == 0
    shown = json.loads(planned.stdout)
    assert shown["busk"]["length_mm"] == plan(tried).busk.length_mm
    assert len(shown["schedule"]["slots"]) == len(shown["make"]["order"]) > 20
    assert shown["schedule"]["slots"][0]["starts_on"] == "2026-11-26"
    assert shown["odds"][0]["likely_on"] > "2026-11-26"
    assert "a usable build" in run.invoke(main, ["check", str(file)]).stdout
    printed = run.invoke(main, ["print", str(file), "--into", str(tmp_path / "out"), "--paper", "letter"])
    assert printed.exit_code == 0
    assert {path.name for path in (tmp_path / "out").iterdir()} == {
        "tide-pattern-letter.pdf",
        "tide-pattern.svg",
        "tide-pattern.dxf",
        "tide-list.pdf",
    }


def test_check_says_what_is_wrong_and_where(tmp_path):
    file = tmp_path / "bad.fuseau.json"
    file.write_text('{"format": "fuseau.build", "wearer": {"waist": {"readings_mm": [70]}}, "draft": {"panels": 0}}')
    found = CliRunner().invoke(main, ["check", str(file)])
    assert found.exit_code == 1
    assert "wearer.waist.readings_mm.0" in found.output
    assert "draft.panels" in found.output


def test_print_says_which_measures_are_missing(tmp_path):
    file = tmp_path / "new.fuseau.json"
    file.write_bytes(write_document(Build()))
    found = CliRunner().invoke(main, ["print", str(file)])
    assert found.exit_code == 1
    assert "Measure the underbust, waist and hip" in found.output


@example([(0.0, 0.0), (0.0, 6e-118), (7.0, 9.0)])  # encloses nothing
@given(st.lists(st.tuples(*[st.floats(-80, 80).map(lambda mm: round(mm, 6))] * 2), min_size=3, max_size=12))
def test_no_outline_is_too_odd_for_a_grain_line(outline):
    whole, grain = Polygon(outline).buffer(0), _grain_within(outline)
    assert grain is not None or whole.area < 1  # mm²
    assume(grain is not None)
    (x, low), (again, high) = grain
    assert x == again
    assert low <= high
    assert whole.buffer(1e-6).covers(LineString(grain))
