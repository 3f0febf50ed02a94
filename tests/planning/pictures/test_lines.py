"""Lines marked on a picture and what becomes of them; the pictures are drawn here, from bodies that are known."""

import datetime

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.commands.fields import change
from fuseau.commands.patterns import edit_pattern
from fuseau.craft.worn.figure import Figure
from fuseau.craft.worn.pose import Pose, points_at
from fuseau.craft.worn.surface import HalfWorn
from fuseau.planning.pictures.drawn import read_drawn
from fuseau.planning.pictures.lines import picture_lines
from fuseau.planning.pictures.pose import pose_on
from fuseau.planning.pictures.trim_marks import trim_marks
from fuseau.planning.worn.on_body import inputs_of
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

WIDE, HIGH = 600, 900
BUILD = built("longline corset")
PLANNED = plan(BUILD)
INPUTS = inputs_of(BUILD, PLANNED)
FIGURE = Figure(INPUTS.body, (), 0.15, INPUTS.worn.pattern, INPUTS.worn.fit)
SAY = Words("cm")
TODAY = datetime.date(2026, 3, 2)


def pose(turn=0.0, mm=900.0, axis=0.5, waist=0.75):
    return Pose(turn_deg=turn, mm=mm, axis=axis, waist=waist)


def on(where, nominal, place):
    """Points of her as they are marked on a picture taken so: shares of its width and of its height."""
    found = where.on_picture(points_at(FIGURE, np.array(nominal, float), np.array(place, float)))
    return [[float(x), float(y) * WIDE / HIGH] for x, y in found]


def across(where, level):
    """A level marked across, from outline to outline."""
    places = np.linspace(-2, 2, 801)
    points = np.array(on(where, np.full(len(places), FIGURE.body[level].side_mm), places))
    y = points[:, 1].mean()
    kind = f"{level.replace('_', ' ')} across"
    return {"kind": kind, "points": [[float(points[:, 0].min()), y], [float(points[:, 0].max()), y]]}


def drawn(where, *marks, levels=("waist", "hip"), build=BUILD):
    """The build with a picture of her, taken so, and these marks beside her widths."""
    picture = {
        "id": "a" * 64,
        "width_px": WIDE,
        "height_px": HIGH,
        "turned_deg": where.turn_deg,
        "marks": [*(across(where, level) for level in levels), *marks],
    }
    return edited(build, brief__pictures=[picture])


def read(build):
    planned = plan(build)
    return picture_lines(build, planned, inputs_of(build, planned), build.brief.pictures[0])


def mark(kind, where, nominal, place):
    return {"kind": kind, "points": on(where, nominal, place)}


# --- there and back


@settings(max_examples=40, deadline=None)
@given(st.sampled_from([0.0, 20.0, 45.0]), st.floats(400, 2500), st.floats(-110, 80), st.floats(0, 1))
def test_a_place_on_her_is_found_again_within_a_millimetre(turn, mm, nominal, share):
    where = pose(turn, mm)
    place = -0.8 + share * (1.6 - 1.4 * turn / 90)  # turned, she shows less of her right
    points = points_at(FIGURE, np.array([nominal]), np.array([place]))
    again = points_at(FIGURE, *where.on_her(FIGURE, where.on_picture(points)))
    assert np.linalg.norm(again - points) < 1.0


@pytest.mark.parametrize("turn", [0.0, 20.0, 45.0])
@pytest.mark.parametrize("mm", [500.0, 1400.0])
def test_the_pose_is_read_from_what_is_marked_across(turn, mm):
    where = pose(turn, mm, axis=0.42, waist=0.6)
    found = pose_on(drawn(where).brief.pictures[0], FIGURE)
    assert found.mm == pytest.approx(mm, rel=0.02)
    assert found.axis == pytest.approx(0.42, abs=0.012)
    assert found.waist == pytest.approx(0.6, abs=0.02)


def test_the_garments_own_lines_come_back_onto_the_marks_they_were_drawn_from():
    where = pose()
    found = read(drawn(where))
    assert {one.what for one in found.back} == {"top", "hem", "seam", "CF"}
    tops = np.array([point for one in found.back if one.what == "top" for point in one.points])
    cf = tops[np.argmin(np.abs(tops[:, 0] - 0.5))]
    height = (where.waist - cf[1] * HIGH / WIDE) * where.mm
    nominal = np.interp(PLANNED.pattern.top.cf_mm, FIGURE.rise_along(0.0), FIGURE.heights)
    assert height == pytest.approx(float(FIGURE.up(np.array([nominal]), np.zeros(1))[0]), abs=6)
    left, right = found.outline
    waist = np.argmin([abs(y - where.waist * WIDE / HIGH) for _, y in left.points])
    marked = across(where, "waist")["points"]
    assert [left.points[waist][0], right.points[waist][0]] == pytest.approx([x for x, _ in marked], abs=0.006)


# --- told cases: what is drawn, and what she is told


def edge(where, cf, side, sign=1):
    """A line over her front from side to side, at these heights along her."""
    places = np.linspace(-1, 1, 21)
    heights = sign * (cf + (side - cf) * np.abs(places))
    nominal = [np.interp(z, FIGURE.rise_along(abs(p)), FIGURE.heights) for z, p in zip(heights, places, strict=True)]
    return nominal, places


def test_a_marked_top_line_becomes_the_garments_with_one_press():
    where = pose()
    build = drawn(where, mark("top line", where, *edge(where, 95, 70)))
    (top,) = [one for one in read(build).marks if one.kind == "top line"]
    values = {one.at: one.value for one in top.changes}
    assert values["draft.top.cf_mm"] == pytest.approx(95, abs=4)
    assert values["draft.top.side_mm"] == pytest.approx(70, abs=6)
    assert "from the waist at CF" in SAY(top.says)
    made = change(build, list(top.changes), "cm")
    assert plan(made).pattern.top.cf_mm == values["draft.top.cf_mm"]
    (again,) = [one for one in read(made).marks if one.kind == "top line"]
    assert again.so


def test_a_hem_below_the_lap_and_lines_past_the_waist_are_refused_with_the_reason():
    where = pose()
    low = drawn(where, mark("hem", where, *edge(where, 150, 120, -1)))
    (hem,) = read(edited(low, wearer__waist_to_lap_sitting_mm="13")).marks
    assert (hem.fault.code, hem.changes) == ("lines.hem_on_lap", ())
    (hem,) = read(edited(low, wearer__waist_to_lap_sitting_mm=None)).marks
    assert {one.at for one in hem.changes} >= {"draft.hem.cf_mm"}
    (top,) = read(drawn(where, mark("top line", where, *edge(where, -30, -30)))).marks
    assert top.fault.code == "lines.top_below"
    (hem,) = read(drawn(where, mark("hem", where, *edge(where, 30, 30)))).marks
    assert hem.fault.code == "lines.hem_above"


@pytest.mark.parametrize(("place", "line"), [(0.0, "CF"), (0.97, "side"), (-0.97, "side")])
def test_a_closure_falls_at_cf_or_the_side(place, line):
    where = pose()
    z = np.linspace(-60, 60, 9)
    build = drawn(where, mark("closure", where, z, np.full(9, place)))
    build = edited(build, front__line="side" if line == "CF" else "CF", front__opening="zip")
    (found,) = read(build).marks
    assert found.changes[0].value == line
    assert line in SAY(found.says)
    made = change(build, list(found.changes), "cm")
    assert read(made).marks[0].so


def test_seams_are_counted_and_told_where_they_lie():
    where = pose()
    z = np.linspace(-60, 60, 9)
    seams = [mark("seam", where, z, np.full(9, place)) for place in (0.35, 0.65)]
    found = read(drawn(where, *seams))
    first, second, count = found.marks
    assert [one.number for one in found.marks] == [1, 2, 0]
    assert "from CF at the waist" in SAY(first.says)
    assert first.says != second.says
    assert "2 seams show between CF and side: 3 panels in front" in SAY(count.says)
    bust = built("overbust corset")
    far = drawn(where, seams[0], levels=("waist", "hip"), build=bust)
    assert read(far).marks[0].warns is None


def seams_moved(where, *by_mm, build=BUILD):
    """The garment's own seams between CF and side as they would be drawn so much further back along her."""
    planned = plan(build)
    half = HalfWorn(FIGURE, (build.current.pattern if build.current else planned.drafted))
    z = np.linspace(-70, 70, 15)
    runs = half.seam_runs(z)
    rings = FIGURE.over.at(z)
    return [mark("seam", where, z, rings.place(runs[:, k] + mm)) for k, mm in enumerate(by_mm, start=1)]


@settings(max_examples=12, deadline=None)
@given(st.floats(-14, 14), st.floats(-14, 14), st.sampled_from([0.0, 20.0]))
def test_seams_are_laid_where_they_are_drawn_to_a_millimetre(first, second, turn):
    where = pose(turn)
    build = drawn(where, *seams_moved(where, first, second))
    marked = [one for one in read(build).marks if one.number]
    assert all(one.fault is None for one in marked)
    edits = [one.model_dump() for read_of in marked for one in read_of.edits]
    assert len(edits) == sum(abs(mm) > 4 for mm in (first, second)) or min(abs(first), abs(second)) < 4.5
    if not edits:
        return
    planned = plan(build)
    made = edit_pattern(build, planned, edits, TODAY, "cm")
    assert girths(made) == pytest.approx(girths(build), abs=0.01)  # where a seam lies changes no girth
    z = np.linspace(-60, 60, 9)
    seams = HalfWorn(FIGURE, made.current.pattern).seam_runs(z) - HalfWorn(FIGURE, planned.drafted).seam_runs(z)
    for k, mm in ((1, first), (2, second)):
        if abs(mm) > 4.5:
            assert seams[:, k] == pytest.approx(np.full(len(z), mm), abs=1.2)
    again = [one for one in read(made).marks if one.number]
    assert all(one.so for one in again)


def girths(build):
    planned = plan(build)
    pattern = build.current.pattern if build.current else planned.drafted
    return list(pattern.shape.sewn_girth(pattern.shape.nominal))


def test_a_seam_that_can_not_lie_there_says_why():
    where = pose()
    near = read(drawn(where, *seams_moved(where, 0.0, -45.0))).marks  # onto the first one
    assert near[1].fault is not None
    assert near[1].edits == ()
    assert near[0].so


def test_what_can_not_be_told_says_why():
    where = pose()
    bare = edited(BUILD, brief__pictures=[{"id": "a" * 64, "width_px": WIDE, "height_px": HIGH}])
    assert read(bare) is None
    line = mark("top line", where, *edge(where, 90, 70))
    picture = {"id": "a" * 64, "width_px": WIDE, "height_px": HIGH, "marks": [line]}
    assert read(edited(BUILD, brief__pictures=[picture])).fault.code == "lines.no_waist"
    beside = {"kind": "top line", "points": [[0.01, 0.3], [0.05, 0.3]]}
    assert read(drawn(where, beside)).marks[0].fault.code == "trim.beside"


# --- trim lines


@pytest.mark.parametrize("turn", [0.0, 20.0, -45.0])
def test_a_trim_line_on_a_turned_picture_lies_where_it_was_drawn_from(turn):
    where = pose(turn)
    z, place = np.linspace(-50, 40, 9), np.linspace(0.1, 0.8, 9) * (-1 if turn > 0 else 1)
    build = drawn(where, mark("trim", where, z, place))
    (found,) = trim_marks(build, plan(build))
    assert found.fault is None
    half = HalfWorn(FIGURE, INPUTS.worn.pattern)
    back = np.array([half.of_flat(one.panel, np.array([[one.x_mm, one.z_mm]])) for one in found.spots])[:, :, 0]
    wanted = FIGURE.over.at(back[:, 0]).run(np.interp(back[:, 0], z, np.abs(place)))
    assert back[:, 1] == pytest.approx(wanted, abs=1.5)
    assert (back[0, 0], back[-1, 0]) == (pytest.approx(-50, abs=1.5), pytest.approx(40, abs=1.5))


def test_a_trim_line_off_the_garment_says_so():
    where = pose()
    build = drawn(where, mark("trim", where, [-190, -185], [0.2, 0.4]), levels=("waist", "hip"))
    short = edited(build, draft__hem__cf_mm="6", draft__hem__side_mm="6", draft__hem__cb_mm="6")
    (found,) = trim_marks(short, plan(short))
    assert found.fault.code == "trim.beside"


@settings(max_examples=40, deadline=None)
@given(st.floats(-60, 60), st.floats(0.02, 1.9))
def test_a_place_on_her_is_found_on_the_flat_panels_and_back(nominal, place):
    half = HalfWorn(FIGURE, INPUTS.worn.pattern)
    at = np.array([nominal])
    run = FIGURE.over.at(at).run(np.array([place]))
    numbers, flat = half.to_flat(at, run)
    if run[0] < half.seam_runs(at)[0, -1]:
        again, around = half.of_flat(int(numbers[0]), flat)
        assert (again[0], around[0]) == (pytest.approx(nominal, abs=0.2), pytest.approx(run[0], abs=0.3))
    assert FIGURE.over.at(at).place(run)[0] == pytest.approx(place, abs=0.01)


def test_a_picture_from_behind_tells_the_edges_at_side_and_cb():
    where = pose(180)
    places = np.concatenate([np.linspace(1.0, 2.0, 25), np.linspace(-2.0, -1.0, 25)])
    z = np.interp(np.abs(places), [1, 2], [70, 105])
    z = np.array(
        [float(np.interp(one, FIGURE.rise_along(abs(at)), FIGURE.heights)) for one, at in zip(z, places, strict=True)]
    )
    order = np.argsort([x for x, _ in on(where, z, places)])
    build = drawn(where, mark("top line", where, z[order], places[order]))
    (top,) = read(build).marks
    values = {one.at: one.value for one in top.changes}
    assert values["draft.top.cb_mm"] == pytest.approx(105, abs=4)
    assert values["draft.top.side_mm"] == pytest.approx(70, abs=6)
    assert "draft.top.cf_mm" not in values
    assert "at CB" in SAY(top.says)
    drawn_of = read_drawn(build, plan(build), build.brief.pictures[0])
    assert drawn_of.fault is None
