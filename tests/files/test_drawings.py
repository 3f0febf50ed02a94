"""Drawings that come in and go out: SVG and DXF read back, dangerous and odd ones refused in one sentence."""

import io

import ezdxf
import numpy as np
import pytest
from shapely.geometry import LineString, Polygon

from fuseau.files.drawings import read_drawing
from fuseau.files.dxf import LAYERS, pattern_dxf
from fuseau.files.svg import pattern_svg
from fuseau.files.tiles import pattern_pdf
from fuseau.files.unreadable import UnreadableFile
from tests.kinds import ALL_KINDS, built
from tests.plans import plan

PANEL = "M10 10 C 14 60 6 90 10 150 L 70 150 C 74 90 64 60 70 10 Z"
SVG = '<svg xmlns="http://www.w3.org/2000/svg" {size}>{inside}</svg>'


def svg(inside, size='width="200mm" height="200mm" viewBox="0 0 200 200"'):
    return SVG.format(size=size, inside=inside).encode()


@pytest.mark.parametrize("kind", ALL_KINDS)
@pytest.mark.parametrize("form", ["svg", "dxf"])
def test_what_is_drawn_measures_the_planned_girths(kind, form):
    planned = plan(built(kind))
    content = pattern_svg(built(kind), planned).encode() if form == "svg" else pattern_dxf(built(kind), planned)
    drawing = read_drawing(content, f"x.{form}")
    panels = [piece for piece in drawing.pieces if piece.waist_drawn]
    assert len(panels) == len(planned.pattern.panels)
    checked = 0
    for level in planned.levels:
        girth = _girth_drawn(panels, planned, planned.body[level.name])
        if girth is not None:
            assert 2 * girth == pytest.approx(level.closed_mm, abs=0.5)
            checked += 1
    assert checked >= 1


def _girth_drawn(panels, planned, level):
    """Half the girth at a level, measured on the drawing: each edge where its own height of the level crosses it.

    None where the level leaves the garment. An edge lies between CF, side and CB by widths at the zero line.
    """
    lines = [LineString([*piece.points, piece.points[0]]) for piece in panels]
    waists = [_crossings(line, piece.waist_mm) for line, piece in zip(lines, panels, strict=True)]
    run = np.concatenate([[0.0], np.cumsum([right - left for left, right in waists])])
    side = run[planned.pattern.front_panels]
    heights = []
    for u in run:
        place = u / side if u <= side else 1 + (u - side) / (run[-1] - side)
        if place <= 1:
            heights.append(level.side_mm + (1 - place) * (level.front_mm - level.side_mm))
        else:
            heights.append(level.side_mm + (place - 1) * (level.back_mm - level.side_mm))
    total = 0.0
    for k, (line, piece, panel) in enumerate(zip(lines, panels, planned.pattern.panels, strict=True)):
        for edge, height, sign in ((panel.cf_edge, heights[k], -1), (panel.cb_edge, heights[k + 1], 1)):
            if not edge[0][1] + 0.5 < height < edge[-1][1] - 0.5:
                return None
            total += sign * _crossings(line, piece.waist_mm + height)[0 if sign < 0 else 1]
    return total


def _crossings(line, y):
    """The leftmost and rightmost x at which an outline crosses a height."""
    met = line.intersection(LineString([(-10000, y), (10000, y)]))
    return met.bounds[0], met.bounds[2]


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_the_zero_line_printed_is_half_the_sewn_girth(kind):
    """Measured along the waistlines of the drawing itself, stitch line to stitch line."""
    planned = plan(built(kind))
    document = ezdxf.read(io.StringIO(pattern_dxf(built(kind), planned).decode()))
    total = 0.0
    for line in document.modelspace().query(f'LWPOLYLINE[layer=="{LAYERS["waist"][0]}"]'):
        (x0, z0, *_), (x1, z1, *_) = line.get_points()
        assert z0 == pytest.approx(z1)
        total += abs(x1 - x0)
    zero = next(level for level in planned.levels if level.name in ("waist", "neck_base"))
    assert 2 * total == pytest.approx(zero.closed_mm, abs=0.5)


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_every_kind_prints(kind):
    from pypdf import PdfReader

    planned = plan(built(kind))
    reader = PdfReader(io.BytesIO(pattern_pdf(built(kind), planned, "a4")))
    text = " ".join(page.extract_text() for page in reader.pages)
    assert kind.capitalize() in text
    for piece in planned.pattern.pieces:
        assert piece.name in text


def test_dxf_has_a_layer_for_each_kind_of_line_in_millimetres():
    planned = plan(built("underbust corset"))
    document = ezdxf.read(io.StringIO(pattern_dxf(built("underbust corset"), planned).decode()))
    assert document.header["$INSUNITS"] == 4
    used = {entity.dxf.layer for entity in document.modelspace()}
    assert {"STITCH", "CUT", "GRAIN", "NOTCH", "TEXT", "WAIST"} <= used
    auditor = document.audit()
    assert not auditor.errors


def test_joined_panels_are_one_piece_with_darts():
    build = built("boned bodice", draft__one_piece=True)
    planned = plan(build)
    document = ezdxf.read(io.StringIO(pattern_dxf(build, planned).decode()))
    cuts = document.modelspace().query('LWPOLYLINE[layer=="CUT"]')
    assert len(cuts) == len(planned.pattern.panels) - len(planned.pattern.joined)
    assert len(document.modelspace().query('LWPOLYLINE[layer=="DART"]')) >= 1


def test_halves_that_differ_are_both_printed():
    build = built("underbust corset", wearer__waist__left_more_mm=12)
    text = pattern_svg(build, plan(build))
    assert 'id="panel-3-left"' in text
    assert "cut 1, right half" in text


def test_curves_arcs_and_transforms_are_read_at_their_size():
    inside = (
        f'<g transform="translate(5 7) scale(2)"><path d="{PANEL}"/></g>'
        '<path d="M 100 20 h 40 a 20 60 0 0 1 0 120 h -40 z"/>'
    )
    found = read_drawing(svg(inside), "x.svg")
    first, second = found.pieces
    xs = [x for x, _ in first.points]
    assert max(xs) - min(xs) == pytest.approx(2 * (71.6 - 8.9), abs=1.5)
    assert Polygon(second.points).area == pytest.approx(40 * 120 + np.pi * 20 * 60 / 2, rel=0.002)
    assert min(y for _, y in first.points) == pytest.approx(-(7 + 300), abs=0.01)


def test_a_drawing_without_a_real_size_asks_for_its_unit():
    plain = svg(f'<path d="{PANEL}"/>', 'viewBox="0 0 200 200"')
    assert read_drawing(plain, "x.svg").needs_unit
    wide = {}
    for unit in ("mm", "cm", "in", "px"):
        (piece,) = read_drawing(
            svg(f'<path transform="scale(3)" d="{PANEL}"/>', 'viewBox="0 0 600 600"'), "x", unit
        ).pieces
        wide[unit] = max(x for x, _ in piece.points) - min(x for x, _ in piece.points)
    assert wide["cm"] == pytest.approx(10 * wide["mm"], rel=1e-4)
    assert wide["in"] == pytest.approx(25.4 * wide["mm"], rel=1e-4)
    assert wide["px"] == pytest.approx(25.4 / 96 * wide["mm"], rel=1e-4)


def test_open_paths_and_what_lies_inside_are_left_out_and_said():
    inside = f'<path d="{PANEL}"/><path d="M20 40 h 30 v 60 h -30 z"/><path d="M90 10 V 190"/>'
    found = read_drawing(svg(inside), "x.svg")
    assert len(found.pieces) == 1
    assert any("inside others" in note for note in found.notes)
    assert any("not closed" in note for note in found.notes)
    with pytest.raises(UnreadableFile, match="no closed outline"):
        read_drawing(svg('<path d="M90 10 V 190"/>'), "x.svg")


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (b"", "empty"),
        (b"hello", "neither an SVG nor a DXF"),
        (b"<html></html>", "not an SVG"),
        (svg("<script>alert(1)</script>"), "holds a script"),
        (svg('<rect onload="x()"/>'), "holds a script"),
        (svg('<image href="http://example.invalid/a.png"/>'), "outside it"),
        (svg('<use href="other.svg#a"/>'), "outside it"),
        (b'<!DOCTYPE svg [<!ENTITY a "b">]>' + svg("<text>&a;</text>"), "entities"),
        (svg("<g>" * 80 + "</g>" * 80), "more parts"),
        (svg('<g id="a"><use href="#a"/></g>' + '<use href="#a"/>'), "groups within groups"),
        (svg("<path d='M0 0 L"), "damaged at line"),
        (b"<svg" + b" " * 4_100_000, "MB"),
        (b"0\nSECTION\n2\nHEADER\n0\nENDSEC\n0\nEOF\n", "does not say its unit"),
    ],
)
def test_what_cannot_be_used_is_refused_in_one_sentence(content, says):
    if says == "does not say its unit":
        found = read_drawing(content, "x.dxf")
        assert found.needs_unit
        assert says in found.notes[0]
        with pytest.raises(UnreadableFile, match="no closed outline"):
            read_drawing(content, "x.dxf", "mm")
        return
    with pytest.raises(UnreadableFile, match=says):
        read_drawing(content, "x")


def test_loose_lines_of_a_dxf_close_into_outlines():
    document = ezdxf.new("R2010")
    document.header["$INSUNITS"] = 5
    space = document.modelspace()
    corners = [(0, 0), (6, 0), (7, 16), (-1, 16)]
    for start, end in zip(corners, [*corners[1:], corners[0]], strict=True):
        space.add_line(start, end)
    target = io.StringIO()
    document.write(target)
    (piece,) = read_drawing(target.getvalue().encode(), "x.dxf").pieces
    assert Polygon(piece.points).area == pytest.approx(100 * 112, rel=1e-6)
