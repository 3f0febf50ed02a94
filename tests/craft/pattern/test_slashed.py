"""Gussets slashed into a panel, and fullness moved into them from the seams beside (model, section 5)."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely.geometry import LineString, Point, Polygon

from fuseau.commands.patterns import edit_pattern
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.hand_edits import AddGusset, DropInsert, SplitPanel, edit
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.files.pieces import pattern_pieces
from tests.conftest import TODAY
from tests.craft.pattern.test_pattern import drafted
from tests.kinds import built
from tests.plans import plan
from tests.saying import refused

PRACTICE = Practice()
Z = np.linspace(-100, 90, 39)
widths, depths, places = st.floats(15, 70), st.floats(40, 75), st.floats(0.2, 0.8)


def slashed(width=40.0, depth=70.0, panel=3, across=0.5, end="hem", **more):
    return AddGusset(panel=panel, across=across, end=end, width_mm=width, depth_mm=depth, **more)


@given(widths, depths, st.integers(1, 5), places, st.sampled_from(["top", "hem"]))
def test_a_slash_widens_the_girth_from_its_point_to_the_edge_and_its_piece_is_true(width, depth, panel, across, end):
    before = drafted()
    after = edit(before, slashed(width, depth, panel, across, end), PRACTICE)
    grown = (after.shape.sewn_girth(Z) - before.shape.sewn_girth(Z)) / 2
    gusset = after.gussets[0]
    assert grown == pytest.approx(gusset.width_at(Z), abs=1e-6)
    laid = lay_flat(after, PRACTICE)
    (slash,) = laid.panels[panel - 1].slashes
    (piece,) = laid.pieces
    assert LineString(slash).length == pytest.approx(piece.edges_mm["leg"], abs=0.05)
    assert piece.sewn_to_mm[f"slash in panel {panel}"] == pytest.approx(piece.edges_mm["leg"])
    outline = Polygon(laid.panels[panel - 1].outline)
    assert outline.exterior.distance(Point(slash[-1])) < 0.3  # it begins at the edge of the panel
    assert outline.buffer(0.3).contains(LineString(slash))
    assert slash[0][1] == pytest.approx(gusset.tip_mm, abs=0.01)
    legs = [float(np.hypot(*np.subtract(piece.outline[k], piece.outline[0]))) for k in (1, 2)]
    assert legs == pytest.approx([piece.edges_mm["leg"]] * 2)


@given(st.floats(15, 45), depths, st.sampled_from([{"panel": 2}, {"panel": 4}, {"seam": 2}, {"seam": 4}]))
def test_fullness_moved_from_the_seams_leaves_the_girth(width, depth, where):
    before = drafted()
    change = AddGusset(end="hem", width_mm=width, depth_mm=depth, from_seams=True, **where)
    after = edit(before, change, PRACTICE)
    off = np.abs(after.shape.sewn_girth(Z) - before.shape.sewn_girth(Z)) / 2
    assert off.max() < 0.06 * width  # a seam begins to run apart softly
    edges = lay_flat(after, PRACTICE).panels
    assert {round(x, 6) for x, _ in edges[0].cf_edge} == {0.0}
    assert len({round(x, 6) for x, _ in edges[-1].cb_edge}) == 1


def test_what_cannot_be_slashed_is_refused_at_its_field():
    once = edit(drafted(), slashed(), PRACTICE)
    with refused("slashed from the hem already"):
        edit(once, slashed(), PRACTICE)
    with refused("take that out first"):
        edit(once, SplitPanel(panel=3), PRACTICE)
    with refused("deeper than the garment"):
        edit(drafted(), slashed(depth=280.0), PRACTICE)
    with refused("into a seam, or slashed into a panel"):
        edit(drafted(), AddGusset(end="hem", width_mm=20, depth_mm=60), PRACTICE)
    with refused("at the least"):
        edit(drafted(), slashed(width=190.0, from_seams=True), PRACTICE)
    again = edit(once, DropInsert(what="gusset", index=0), PRACTICE)
    assert again.gussets == ()


def test_bones_keep_clear_of_a_slash_and_the_prints_show_it():
    build = built("underbust corset")
    given = {"kind": "gusset", "panel": 3, "across": 0.5, "end": "hem", "width_mm": "4 cm", "depth_mm": "7 cm"}
    build = edit_pattern(build, plan(build), [given], TODAY, "cm")
    found = plan(build)
    (slash,) = found.pattern.panels[2].slashes
    for bone in found.bones:
        if bone.panel == 3 and bone.place == "between":
            assert LineString(bone.path).distance(LineString(slash)) >= build.practice.point_clear_mm
    (gusset,) = found.pattern.pieces
    assert gusset.gains_mm["high_hip"] > 10
    assert "slashed into panel 3 from the hem" in gusset.note
    drawn = next(piece for piece in pattern_pieces(build, found) if piece.name == "panel 3")
    assert len([stroke for stroke in drawn.strokes if stroke.kind == "cut"]) == 2
    assert "panel 3 from the hem" in build.current.changes[-1]
