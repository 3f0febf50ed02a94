"""Bones, busk, holes and lace (model, sections 3, 7, 8 and 9)."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.base.findings import Change
from fuseau.craft.base.practice import Practice
from fuseau.craft.boning.bones import (
    bone_length,
    channel_width,
    edge_stiffness,
    lacing_edge_layout,
    lay_bones,
)
from fuseau.craft.boning.channels import Around, bend_on_seam, panel_arrays
from fuseau.craft.boning.choices import BoneChoices
from fuseau.craft.closures.back import cut_lace, grommet_count
from fuseau.craft.closures.busk import choose_busk, sew_and_leave
from fuseau.craft.closures.choices import FrontChoices
from fuseau.craft.closures.lacing import walk_length
from fuseau.craft.closures.rows import rows
from fuseau.craft.materials.catalogue import BONES, BUSKS, GROMMETS
from fuseau.craft.materials.stack import MOCK_UP_STACK, Stack, take_up
from fuseau.craft.pattern.trueing import lay_flat
from tests.craft.pattern.test_pattern import drafted
from tests.saying import refused, said

PRACTICE = Practice()


@pytest.mark.parametrize(
    ("kind", "stiffness"),
    [("flat_12", 28.8), ("flat_6", 2.9), ("synthetic_7", 0.11), ("cable_tie_8", 0.16), ("spiral_6", 0.01)],
)
def test_edgewise_stiffness_of_each_kind(kind, stiffness):
    assert BONES[kind].edgewise_stiffness() == pytest.approx(stiffness, rel=0.03)


@pytest.mark.parametrize(
    ("stack", "seams", "mm"),
    [(Stack(), 10, 7.9), (Stack(strength="calico", fashion_mm=0, lining_mm=0), 10, 3.6)],
)
def test_take_up_follows_the_examples(stack, seams, mm):
    assert take_up(stack, seams, PRACTICE) == pytest.approx(mm, abs=0.05)


def test_clothes_worn_under_take_room():
    more = take_up(MOCK_UP_STACK.model_copy(update={"worn_under_mm": 1.0}), 10, PRACTICE)
    assert more - take_up(MOCK_UP_STACK, 10, PRACTICE) == pytest.approx(6.283, abs=0.01)


@pytest.mark.parametrize(
    ("kind", "plies", "width"), [("spiral_6", 0.8, 9.5), ("flat_12", 0.8, 14.5), ("synthetic_7", 0.6, 10)]
)
def test_channel_width_follows_the_examples(kind, plies, width):
    assert channel_width(BONES[kind], plies, PRACTICE) == width


def test_bone_length_follows_the_example():
    assert bone_length(302.4, BONES["flat_6"], PRACTICE) == 290


@given(st.floats(0, 500), st.sampled_from(sorted(BONES)))
def test_a_bone_is_never_longer_than_its_channel(path, kind):
    bone = BONES[kind]
    length = bone_length(path, bone, PRACTICE)
    ends = 2 * (bone.clearance_mm + (PRACTICE.bone_cap_mm if bone.capped else 0))
    assert 0 <= length <= max(0.0, path - ends + 1e-6)
    assert length == 0 or bone.sold == "ready-cut" or path - ends - length < PRACTICE.bone_step_mm + 1e-6
    assert bone.sold != "ready-cut" or length in (0, *bone.lengths_mm)


@pytest.mark.parametrize("panels", [4, 5, 6, 7])
def test_channels_one_on_each_seam_two_at_each_lacing_edge_one_beside_the_busk(panels):
    laid = lay_flat(drafted(panels=panels), PRACTICE)
    bones = lay_bones(panel_arrays(laid), BoneChoices(between=()), Around(front_mm=6.5, front_panels=panels // 2))
    assert [bone.channel for bone in bones] == [
        "CF",
        *(f"{i}·{i + 1}" for i in range(1, panels)),
        "CB inner",
        "CB outer",
    ]
    seams = {seam.seam: seam.cf_side_mm for seam in laid.seams}
    for bone in bones:
        assert bone.length_mm < bone.path_mm
        if bone.place == "seam":
            assert bone.path_mm == pytest.approx(seams[bone.channel], abs=0.1)
    inner, outer = bones[-2], bones[-1]
    last = laid.panels[-1]
    layout = lacing_edge_layout(BONES["flat_12"], GROMMETS["grommet_5"].flange_mm, 0.9, PRACTICE)
    assert last.cb_edge[0][0] - outer.path[0][0] == pytest.approx(layout.outer_mm, abs=1e-3)
    assert outer.path[0][0] - inner.path[0][0] == pytest.approx(layout.inner_mm - layout.outer_mm, abs=1e-3)
    # flange and 2 mm of bare cloth on both sides between the channels
    clear = layout.inner_mm - layout.outer_mm - outer.channel_width_mm
    assert clear == pytest.approx(GROMMETS["grommet_5"].flange_mm + 2 * PRACTICE.flange_clear_mm)


def test_one_channel_can_have_another_kind():
    laid = lay_flat(drafted(), PRACTICE)
    bones = lay_bones(panel_arrays(laid), BoneChoices(by_channel={"2·3": "flat_6"}), Around(front_mm=6.5))
    assert {bone.channel: bone.kind for bone in bones}["2·3"] == "flat_6"
    assert {bone.channel: bone.kind for bone in bones}["1·2"] == "spiral_6"


def test_the_edge_is_as_stiff_as_its_bones_within_reach():
    assert edge_stiffness(BONES["flat_12"], 10, 0.9, PRACTICE) == pytest.approx(57.6 + PRACTICE.cloth_edge_n_m2)
    short_reach = PRACTICE.model_copy(update={"edge_beam_mm": 20.0})
    assert edge_stiffness(BONES["flat_12"], 10, 0.9, short_reach) == pytest.approx(28.82)


# --- front


def test_the_busk_of_the_example():
    busk = choose_busk(150, -168, FrontChoices(), PRACTICE)
    assert busk.length_mm == 280


def test_a_front_of_150_mm_has_no_busk_and_says_why():
    busk = choose_busk(70, -80, FrontChoices(), PRACTICE)
    assert busk.length_mm is None
    assert "CF is 15.0 cm long and leaves 130 mm for a busk; the shortest sold is 165 mm" in said(busk.reason)


@given(st.floats(221, 420))
def test_sew_and_leave_cover_the_seam_once(length):
    busk = choose_busk(length / 2, -length / 2, FrontChoices(), PRACTICE)
    assert busk.intervals[0].from_mm == 0
    assert busk.intervals[-1].to_mm == pytest.approx(length)
    for one, after in zip(busk.intervals, busk.intervals[1:], strict=False):
        assert one.to_mm == pytest.approx(after.from_mm)
        assert one.kind != after.kind
    for part in busk.intervals:
        width = part.to_mm - part.from_mm
        assert width == pytest.approx(14) if part.kind == "leave" else width >= PRACTICE.busk_least_sewn_mm
    centres = [(part.from_mm + part.to_mm) / 2 for part in busk.intervals if part.kind == "leave"]
    assert centres == pytest.approx(list(busk.studs_mm))
    assert length - busk.length_mm >= 2 * PRACTICE.busk_clearance_mm - 1e-6


def test_studs_too_close_together_are_refused():
    crowded = BUSKS[0].model_copy(update={"studs": 12})
    with refused("would be sewn"):
        sew_and_leave(crowded, tuple(30 + place for place in crowded.stud_places()), 260, PRACTICE)


# --- back


def test_the_rows_and_lace_of_the_example():
    upper = rows(170, -132, 27, PRACTICE)
    assert [z for z in upper if z > 0] == pytest.approx([150, 122.4, 94.8, 67.2, 39.6, 12])
    lower = rows(170, -132, 25, PRACTICE)
    assert [z for z in lower if z < 0] == pytest.approx([-12, -37, -62, -87, -112])
    heights = (*(z for z in upper if z > 0), *(z for z in lower if z < 0))
    assert walk_length(heights, 50, 12, "cross with pull loops", 0, 0) == pytest.approx(1563, abs=0.6)
    assert walk_length(heights, 250, 12, "cross with pull loops", 0, 0) == pytest.approx(5503, abs=0.6)


@given(st.floats(60, 260), st.floats(60, 260), st.floats(15, 50))
def test_rows_straddle_the_waist_and_keep_their_margins(top, hem, pitch):
    heights = rows(top, -hem, pitch, PRACTICE)
    assert list(heights) == sorted(heights, reverse=True)
    assert {12.0, -12.0} <= set(heights)
    for end, last in ((top, heights[0]), (hem, -heights[-1])):
        reach = end - PRACTICE.row_margin_mm - 12
        assert last <= end - PRACTICE.row_margin_mm + 1e-6
        if reach > pitch / 2:
            assert last == pytest.approx(end - PRACTICE.row_margin_mm)


def test_a_back_too_short_for_the_pair_is_refused():
    with refused("too short"):
        rows(28, -120, 25, PRACTICE)


@given(st.floats(0, 100), st.floats(0, 200))
def test_lace_to_get_in_is_never_shorter_than_the_gap_needs(gap, more):
    heights = rows(120, -130, 26, PRACTICE)
    lace = cut_lace(heights, gap, gap + more, 20, PRACTICE)
    assert lace.cut_mm >= max(lace.worn_mm, lace.getting_in_mm)
    assert lace.getting_in_mm == pytest.approx(walk_length(heights, gap + more, 20, "cross with pull loops", 0, 300))
    assert lace.loose_when_worn_mm >= 0


def test_spares_are_a_tenth_and_two_at_least():
    assert grommet_count((12.0, -12.0)) == (4, 2)
    assert grommet_count(tuple(float(z) for z in range(15))) == (30, 3)


# --- bends


def arc(radius, height=260.0, side=1):
    """An edge (x, z) that bends with one radius, bulging to one side."""
    z = np.linspace(-height / 2, height / 2, 60)
    return np.column_stack([side * (np.sqrt(radius**2 - z**2) - radius), z])


@pytest.mark.parametrize(
    ("kind", "radius"),
    [("flat_6", 1000), ("flat_12", 2000), ("synthetic_7", 350), ("cable_tie_8", 380), ("spiral_6", 60)],
)
def test_each_kind_follows_its_least_radius(kind, radius):
    assert BONES[kind].least_radius_mm == pytest.approx(radius)


@pytest.mark.parametrize("radius", [300, 700, 1500])
def test_mirrored_edges_bend_a_bone_not_at_all_and_edges_that_go_together_do(radius):
    mirrored, _ = bend_on_seam(arc(radius, side=1), arc(radius, side=-1))
    assert mirrored < 1e-6
    together, _ = bend_on_seam(arc(radius), arc(radius))
    assert 1 / together == pytest.approx(radius, rel=0.05)
    half, _ = bend_on_seam(arc(radius), np.column_stack([np.zeros(60), np.linspace(-130, 130, 60)]))
    assert 1 / half == pytest.approx(2 * radius, rel=0.05)


def test_a_bone_that_cannot_follow_its_channel_is_told_and_its_mend_removes_it():
    from fuseau.commands.fields import change
    from tests.kinds import built
    from tests.plans import plan

    build = built("strapless bodice")
    stiff = change(build, [Change(at="bones.seams", value="flat_12"), Change(at="bones.curved", value=None)], "cm")
    told = [one for one in plan(stiff).findings if one.code == "bone_wont_bend"]
    assert told
    for finding in told:
        assert finding.numbers["radius_mm"] < finding.numbers["least_mm"]
        mended = plan(change(stiff, list(finding.mend.changes), "cm"))
        assert finding.where not in {one.where for one in mended.findings if one.code == "bone_wont_bend"}
    for bone in plan(build).bones:
        assert (bone.radius_mm is None) == (len(bone.can_lie) == len(BONES)) or bone.radius_mm > 2000
