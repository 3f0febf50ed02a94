"""The schools side by side, the cutting of a build, the consequences of a choice, and what changed since (model, 7)."""

import pytest

from fuseau.commands.bones import cut_bones, keep_kind
from fuseau.commands.fields import change
from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.base.findings import Change
from fuseau.craft.boning.choices import CutBone
from fuseau.craft.boning.totals import profile_bend
from fuseau.craft.materials.catalogue import BONES, SCHOOLS
from fuseau.planning.asked.schools import cutting, schools
from fuseau.planning.cache import StageCache
from tests.conftest import TODAY, edited
from tests.kinds import built
from tests.plans import plan
from tests.saying import refused, unread

CORSET = built("underbust corset")


def test_the_schools_are_planned_through_to_the_gap():
    kept = StageCache(12)
    build = cut_version(CORSET, plan(CORSET), TODAY)
    found = {one.name: one for one in schools(build, kept)}
    assert set(found) == {school.name for school in SCHOOLS}
    assert [one.name for one in found.values() if one.chosen] == ["all steel"]
    for name, one in found.items():
        boned = change(build, [Change.model_validate(c.model_dump()) for c in one.changes], "cm")
        there = plan(boned)
        assert there.final.shape.bow_mm == pytest.approx(one.bow_mm, abs=1e-6), name
        assert there.boning == one.boning
    steel, plastic = found["all steel"].boning, found["plastic"].boning
    assert abs(found["plastic"].bow_mm) > abs(found["all steel"].bow_mm) + 1
    assert plastic.grams < 0.4 * steel.grams
    assert plastic.price < steel.price
    assert all(
        getattr(plastic.stiffness, region) < getattr(steel.stiffness, region) for region in ("front", "side", "back")
    )
    assert schools(build, kept) == tuple(found.values())


def test_a_choice_of_ones_own_stands_beside_the_schools():
    build = edited(CORSET, bones__by_channel={"2·3": "woven_8"})
    found = schools(build, StageCache(12))
    assert found[0].name == "as chosen"
    assert found[0].chosen
    assert not found[0].changes
    assert sum(one.chosen for one in found) == 1


def test_nothing_is_compared_before_there_is_a_pattern():
    from fuseau.document.build import Build

    assert schools(Build(), StageCache(12)) == ()
    assert cutting(Build(), plan(Build()), {}) == ()


def test_boning_adds_up_weights_and_prices_by_hand():
    found = plan(CORSET)
    grams = sum(2 * one.count * one.length_mm / 1000 * BONES[one.kind].g_per_m for one in found.bones)
    price = sum(
        2 * (one.length_mm / 1000 * BONES[one.kind].price_per_m + BONES[one.kind].price_each) for one in found.bones
    )
    assert found.boning.grams == pytest.approx(grams)
    assert found.boning.price == pytest.approx(price)
    assert found.boning.count == 2 * len(found.bones)
    assert found.boning.stiffness.back > found.boning.stiffness.side
    assert profile_bend(found.final)[0] == found.boning.flat_radius_mm > 20
    dipped = plan(edited(CORSET, bones__ends="dip")).boning
    flat = sum(2 for one in found.bones if one.drawn == "bar")
    assert dipped.coats == 2 * flat * 3
    assert found.boning.coats == 0


def test_every_bone_of_both_halves_is_cut_once():
    build = edited(CORSET, bones__doubled=["CB outer"])
    planned = plan(build)
    shelf = {"spiral_6": {300.0: 2}}
    found = cutting(build, planned, shelf)
    cut = [bone for one in found for piece in one.pieces for bone in piece.bones]
    assert len(cut) == len({bone.label for bone in cut}) == planned.boning.count + len(planned.modesty.bones_mm)
    by_label = {bone.label: bone.length_mm for bone in cut}
    for bone in planned.bones:
        for half in ("R", "L"):
            names = [f"{bone.channel} {half}"] if bone.count == 1 else [f"{bone.channel} {half} {k}" for k in (1, 2)]
            assert all(by_label[name] == bone.length_mm for name in names)
    spiral = next(one for one in found if one.kind == "spiral_6")
    assert sum(piece.source == "shelf" for piece in spiral.pieces) <= 2
    spared = edited(build, practice__spare_bones=1)
    assert sum(len(piece.bones) for one in cutting(spared, plan(spared), shelf) for piece in one.pieces) == len(
        cut
    ) + len(found)


def test_when_the_top_line_moves_the_cut_bones_are_held_against_it():
    build = cut_bones(CORSET, plan(CORSET))
    assert all(fate.what == "stays" for fate in plan(build).reuse.bones)
    lower = edited(build, draft__top__cf_mm="6 cm", draft__top__side_mm="6 cm")
    found = plan(lower).reuse
    assert found.cut_down + found.new > 0
    for fate in found.bones:
        bone = next(one for one in plan(lower).bones if one.channel == fate.channel)
        assert fate.length_mm <= bone.room_mm
    again = cut_bones(lower, plan(lower))
    assert all(fate.what == "stays" for fate in plan(again).reuse.bones)
    assert plan(edited(again, bones__cut=[])).reuse is None


def test_there_are_no_bones_to_cut_before_the_pattern():
    from fuseau.document.build import Build

    with refused("no bones to cut yet"):
        cut_bones(Build(), plan(Build()))


def test_what_the_version_before_had_stays_visible():
    build = cut_version(CORSET, plan(CORSET), TODAY)
    assert plan(build).before is None
    heights = (70.0, 0.0, -80.0)
    readings = [{"z_mm": z, "gap_mm": gap} for z, gap in zip(heights, (75, 48, 20), strict=True)]
    build = log_fitting(build, plan(build), {"pull": "close", "readings": readings}, TODAY, "cm")
    build = accept(build, plan(build), TODAY)
    found = plan(build)
    assert found.before.version == 1
    assert set(found.before.bones_mm) >= {"CF", "2·3", "CB outer"}
    assert found.before.rows == len(found.holes.z_mm)


def test_mock_up_bones_are_ties_in_the_same_channels():
    found = plan(CORSET)
    assert set(found.mock_up_bones_mm) == {one.channel for one in found.bones}
    for bone in found.bones:
        tie = found.mock_up_bones_mm[bone.channel]
        assert 0 <= bone.path_mm - 2 * BONES["cable_tie_8"].clearance_mm - tie < 5


def test_cups_have_a_wire_a_casing_and_boning_in_their_seam():
    found = plan(built("strapless bodice")).cup_boning
    assert found.casing_mm > found.wire_mm > found.wire_across_mm
    assert found.seam_mm > 0
    assert plan(CORSET).cup_boning is None


def test_an_own_kind_is_kept_used_and_cannot_go_while_it_is_used():
    given = {"label": "Flat steel 5 mm", "material": "flat steel", "width_mm": "5 mm", "thickness_mm": "0.5 mm"}
    build = keep_kind(CORSET, given, "cm")
    assert build.bone_kinds["flat_steel_5_mm"].width_mm == 5
    used = edited(build, bones__by_channel={"2·3": "flat_steel_5_mm"})
    assert next(one for one in plan(used).bones if one.channel == "2·3").width_mm == 5
    with unread("no kind of bone called"):
        change(used, [Change(at="catalogue.bones.flat_steel_5_mm", value=None)], "cm")
    gone = change(build, [Change(at="catalogue.bones.flat_steel_5_mm", value=None)], "cm")
    assert gone.bone_kinds.keys() == BONES.keys()
    heavier = keep_kind(build, {**given, "name": "flat_steel_5_mm", "width_mm": 6}, "cm")
    assert heavier.bone_kinds["flat_steel_5_mm"].width_mm == 6
    assert CutBone(channel="2·3", kind="flat_steel_5_mm", length_mm=200).count == 1


def test_bones_are_cut_to_the_quarter_inch_where_the_workshop_says_so():
    inches = plan(edited(CORSET, practice__bone_step_mm=6.35))
    for bone in inches.bones:
        assert bone.length_mm / 6.35 == pytest.approx(round(bone.length_mm / 6.35))
        assert bone.length_mm <= bone.path_mm - 2 * BONES[bone.kind].clearance_mm
    own = plan(edited(CORSET, practice__bone_step_mm=10))
    assert all(bone.length_mm % 10 == pytest.approx(0) for bone in own.bones)
