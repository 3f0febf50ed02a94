"""The garment on her: what is on it, other versions, what is said where there is nothing, and the drawing."""

import datetime
import re
import xml.etree.ElementTree as ET

import numpy as np
import pytest

from fuseau.commands.versions import cut_version
from fuseau.craft.base.errors import Unmakeable
from fuseau.document.build import Build
from fuseau.files.on_body_drawing import draw_on_body
from fuseau.planning.on_body import inputs_of, on_body, silhouettes
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
