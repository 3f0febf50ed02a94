"""The garment on her: what is on it, other versions, what is said where there is nothing, and the drawing."""

import datetime
import io
import re
import xml.etree.ElementTree as ET

import numpy as np
import pytest
from pypdf import PdfReader

from fuseau.commands.versions import cut_version
from fuseau.craft.base.errors import Unmakeable
from fuseau.document.build import Build
from fuseau.files.on_body_drawing import draw_on_body
from fuseau.files.on_body_page import on_her_pdf
from fuseau.planning.worn.on_body import inputs_of, on_body, silhouettes
from tests.conftest import edited
from tests.kinds import ALL_KINDS, built
from tests.plans import plan

BUILD = built("longline corset")


def seen(build, which=""):
    return on_body(inputs_of(build, plan(build), which))


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_everything_of_a_garment_lies_on_her(kind):
    build = built(kind)
    planned, found = plan(build), seen(built(kind))
    names = [patch.name for patch in found.patches]
    assert names.count("her") == 1
    assert len([name for name in names if name.startswith("panel")]) == 2 * len(planned.pattern.panels)
    whats = {line.what for line in found.lines}
    assert {"top", "hem", "seam", "CB", "lace"} <= whats
    assert sum(line.what == "bone" for line in found.lines) == 2 * sum(bone.length_mm > 0 for bone in planned.bones)
    holes = next(one for one in found.spots if one.what == "hole")
    assert len(holes.points) == 2 * len(planned.holes.z_mm)
    assert abs(found.area_off) < 0.02
    half = max(level.half_mm for level in found.levels)
    for line in found.lines:
        points = np.array(line.points)
        assert np.isfinite(points).all()
        assert np.abs(points[:, 0]).max() < half + 12, line.what
    assert found.edges_mm["top line CF"] == planned.pattern.top.cf_mm


def test_a_level_that_it_does_not_reach_is_as_she_is():
    found = {one.level: one for one in seen(built("cincher")).levels}
    planned = {one.name: one for one in plan(built("cincher")).levels}
    assert planned["hip"].worn_mm is None
    assert found["hip"].worn_mm == pytest.approx(planned["hip"].body_mm, abs=0.5)
    assert found["waist"].worn_mm == planned["waist"].worn_mm


def test_the_lace_runs_from_hole_to_hole_behind_her():
    found = seen(BUILD)
    holes = np.array(next(one for one in found.spots if one.what == "hole").points)
    for line in found.lines:
        if line.what == "lace":
            ends = np.array([line.points[0], line.points[-1]])
            assert all(np.linalg.norm(holes - end, axis=1).min() < 4 for end in ends)
            assert (np.array(line.points)[:, 2] < 0).all()


def test_trims_lap_and_arm_are_on_her_where_they_are_known():
    trims = {"key": "t1", "name": "beads", "pitch_mm": 20}
    build = edited(built("overbust corset"), trims__along=[trims], wearer__waist_to_lap_sitting_mm="17")
    found = seen(build)
    beads = next(one for one in found.spots if one.what == "trim")
    assert len(beads.points) == 2 * len(plan(build).trims.along[0].spots)
    limits = {line.name: line for line in found.lines if line.what == "limit"}
    assert set(limits) == {"lap", "arm"}
    assert all(y < -100 for _, y, _ in limits["lap"].points)
    assert not [
        line for line in seen(BUILD).lines if line.name == "lap" and BUILD.wearer.waist_to_lap_sitting_mm is None
    ]


@pytest.mark.parametrize(("half", "side"), [("right", -1), ("left", 1)])
def test_what_lies_on_one_half_is_seen_on_that_half(half, side):
    area = {"key": "a1", "name": "sequins", "panels": [2], "half": half}
    found = seen(edited(BUILD, trims__areas=[area]))
    lines = [line for line in found.lines if line.what == "area"]
    assert lines
    assert all(side * x > 0 for line in lines for x, _, _ in line.points)


def test_versions_are_seen_by_their_number_and_without_hardware():
    build = cut_version(BUILD, plan(BUILD), datetime.date(2026, 11, 26))
    assert seen(build).version == 1
    second = build.versions[0].model_copy(update={"number": 2, "parent": 1})
    two = build.model_copy(update={"versions": (*build.versions, second)})
    older = seen(two, "1")
    assert older.version == 1
    assert not any(line.what == "bone" for line in older.lines)
    assert any(line.what == "seam" for line in older.lines)
    for which in ("7", "proposed", "x", "²"):
        with pytest.raises(Unmakeable):
            seen(build, which)


def test_without_a_pattern_she_is_shown_alone_and_without_measures_not_at_all():
    assert inputs_of(Build(), plan(Build())) is None
    broken = edited(BUILD, draft__top__side_mm="1", draft__top__cf_mm="1", draft__top__cb_mm="1", draft__panels="9")
    found = inputs_of(broken, plan(broken))
    if found.worn is None:
        assert [one.code for one in on_body(found).said] == ["on_body.no_pattern"]
    alone = on_body(inputs_of(BUILD, plan(BUILD).model_copy(update={"pattern": None})))
    assert [patch.name for patch in alone.patches] == ["her"]
    assert len(alone.levels) == 5


def test_her_outline_is_bare_padded_and_worn():
    bare = silhouettes(inputs_of(BUILD, plan(BUILD)))
    assert bare.padded == ()
    waist = min(bare.worn, key=lambda one: abs(one.y_mm))
    assert waist.half_mm < min(bare.bare, key=lambda one: abs(one.y_mm)).half_mm
    padded = edited(BUILD, pads=[{"level": "hip", "thick_mm": "2"}])
    found = silhouettes(inputs_of(padded, plan(padded)))
    hip = found.heights_mm["hip"]
    wider = min(found.padded, key=lambda one: abs(one.y_mm - hip)).half_mm
    assert wider - min(found.bare, key=lambda one: abs(one.y_mm - hip)).half_mm == pytest.approx(20, abs=2)


def test_the_drawing_is_true_to_size_and_hides_what_lies_behind():
    found = seen(BUILD)
    drawn = draw_on_body(found, [0.0], "A & B")
    root = ET.fromstring(drawn)
    width, height = (float(root.get(name).removesuffix("mm")) for name in ("width", "height"))
    her = np.array(next(patch for patch in found.patches if patch.name == "her").points).reshape(-1, 3)
    assert width == pytest.approx(np.ptp(her[:, 0]) + 24, abs=3)
    assert height == pytest.approx(np.ptp(her[:, 1]) + 24, abs=15)
    svg = "{http://www.w3.org/2000/svg}"
    assert root.find(f"{svg}title").text == "A & B"
    assert not root.findall(f".//{svg}circle")  # the holes are behind
    behind = ET.fromstring(draw_on_body(found, [180.0], "x", ["from behind"]))
    assert len(behind.findall(f".//{svg}circle")) == len(found.spots[0].points)
    assert behind.find(f".//{svg}text").text == "from behind"
    assert len(re.findall('class="bone"', drawn)) < sum(line.what == "bone" for line in found.lines)
    both = ET.fromstring(draw_on_body(found, [0.0, 180.0], "x"))
    assert float(both.get("width").removesuffix("mm")) > 2 * width


# --- what hangs, and goes over the shoulder


def hung(**trims):
    return edited(BUILD, **{f"trims__{name}": value for name, value in trims.items()})


def patches_of(build, name):
    found = [patch for patch in seen(build).patches if patch.name == name]
    return [np.array(patch.points).reshape(patch.rows, patch.columns, 3) for patch in found]


@pytest.mark.parametrize(("fullness", "depth"), [(1.0, 60.0), (1.5, 60.0), (2.0, 200.0)])
def test_a_frill_hangs_from_its_line_as_deep_and_as_full_as_it_is(fullness, depth):
    frill = {"key": "h1", "line": {"on": "hem"}, "tiers": [{"depth_mm": depth, "fullness": fullness}]}
    right, left = patches_of(hung(hanging=[frill]), "hanging")
    assert np.allclose(left, right * [-1, 1, 1], atol=0.11)
    top, bottom = right[-1], right[0]  # rows rise
    assert np.allclose(top[:, 1] - bottom[:, 1], depth, atol=0.2)
    far = [np.hypot(row[:, 0], row[:, 2]) for row in right[::-1]]
    assert all((low >= far[0] - 0.1).all() for low in far)  # it does not go into her
    straight, waved = (np.linalg.norm(np.diff(row[:, [0, 2]], axis=0), axis=1).sum() for row in (top, bottom))
    assert waved == pytest.approx(straight * max(fullness, np.mean(far[-1]) / np.mean(far[0])), rel=0.12)


def test_a_circle_widens_as_it_is_cut_and_a_deep_skirt_says_that_it_goes_on():
    peplum = {"key": "h1", "cut": "circle", "line": {"on": "hem"}, "tiers": [{"depth_mm": 150, "fullness": 1}]}
    skirt = {"key": "h2", "line": {"on": "hem"}, "tiers": [{"depth_mm": 500, "fullness": 2}, {"depth_mm": 400}]}
    first, *_ = patches_of(hung(hanging=[peplum]), "hanging")
    wide = [np.linalg.norm(np.diff(row[:, [0, 2]], axis=0), axis=1).sum() for row in first]
    assert wide[0] > wide[len(wide) // 2] > wide[-1]
    found = seen(hung(hanging=[skirt]))
    assert [one.code for one in found.said] == ["on_body.deep"]
    low = min(np.array(patch.points).reshape(-1, 3)[:, 1].min() for patch in found.patches)
    assert low > -600


def test_a_frill_along_an_upright_seam_stays_a_line():
    frill = {"key": "h1", "line": {"on": "seam", "seam": 2}, "tiers": [{"depth_mm": 40, "fullness": 2}]}
    build = hung(hanging=[frill])
    assert patches_of(build, "hanging") == []
    assert any(line.what == "trim" for line in seen(build).lines)


@pytest.mark.parametrize("kind", ["strap", "halter", "off the shoulder"])
def test_straps_go_from_the_top_line_over_the_shoulder_or_round_the_arm(kind):
    strap = {"key": "s1", "kind": kind, "front_mm": 90, "back_mm": 80, "shoulder_up_mm": 400, "arm_mm": 280}
    right, left = patches_of(hung(straps=[strap]), "strap")
    assert np.allclose(left, right * [-1, 1, 1], atol=0.11)
    middle = right[:, 1]
    assert (right[:, :, 0] < 5 + 25).all()  # hers is the right one
    assert np.linalg.norm(right[len(right) // 2, 0] - right[len(right) // 2, 2]) == pytest.approx(25, abs=0.5)
    if kind == "off the shoulder":
        assert middle[:, 0].min() < middle[0, 0] - 20
    else:
        assert middle[:, 1].max() == pytest.approx(400, abs=1)
    assert middle[0, 2] > 0 > middle[-1, 2]


def test_cups_lie_over_both_bust_points_within_their_wires():
    build = built("overbust corset")
    build = edited(build, draft__cups=True, wearer__bust_points_mm="18")
    found = seen(build)
    right, left = (np.array(patch.points).reshape(-1, 3) for patch in found.patches if patch.name == "cup")
    assert right[:, 0].mean() == pytest.approx(-left[:, 0].mean(), abs=0.1)
    assert -120 < right[:, 0].mean() < -60
    assert (right[:, 2] > 0).all()
    cup = plan(build).pattern.cup
    assert np.ptp(right[:, 0]) < cup.wire_diameter_mm
    assert sum(line.what == "cup" for line in found.lines) == 6
    assert [one.code for one in found.said] == ["on_body.cups"]


def test_the_page_shows_her_from_four_sides_with_her_levels():
    build = hung(hanging=[{"key": "h1", "line": {"on": "hem"}, "tiers": [{"depth_mm": 60, "fullness": 2}]}])
    printed = on_her_pdf(build, seen(build), "a4", "cm")
    (page,) = PdfReader(io.BytesIO(printed)).pages
    text = page.extract_text()
    for word in ("front", "¾ front", "side", "back", "Waist", "kPa", "1 : "):
        assert word in text
    assert (float(page.mediabox.width), float(page.mediabox.height)) == pytest.approx((595.3, 841.9), abs=0.1)
    assert on_her_pdf(build, seen(build), "a4", "cm") == printed
