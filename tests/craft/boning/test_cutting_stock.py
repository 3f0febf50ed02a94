"""Cutting bones from the shelf and from what is sold, and what becomes of cut bones when the pattern moves."""

import itertools
from collections import Counter

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.base.practice import Practice
from fuseau.craft.boning.bones import lay_bones
from fuseau.craft.boning.channels import Around, panel_arrays
from fuseau.craft.boning.choices import BoneChoices, CutBone
from fuseau.craft.boning.cutting_stock import Wanted, plan_cutting
from fuseau.craft.boning.reuse import reuse_cut_bones
from fuseau.craft.materials.catalogue import BONES
from fuseau.craft.pattern.trueing import lay_flat
from tests.craft.pattern.test_pattern import drafted

PRACTICE = Practice()
STICKS = BONES["synthetic_12"].model_copy(update={"lengths_mm": (400.0, 250.0)})
SIX = BONES["synthetic_12"].model_copy(update={"lengths_mm": (1000.0, 500.0, 400.0, 350.0, 300.0, 250.0)})


def wanted(*lengths):
    return [Wanted(label=f"b{i}", length_mm=float(length)) for i, length in enumerate(lengths)]


def check(plan, bones, kind, shelf):
    """Every bone once, no piece beyond its length, no more from the shelf than lies there, only what is sold."""
    cut = [bone for piece in plan.pieces for bone in piece.bones]
    assert sorted(one.label for one in (*cut, *plan.unmet)) == sorted(one.label for one in bones)
    lengths = {one.label: one.length_mm for one in bones}
    for piece in plan.pieces:
        used = sum(lengths[bone.label] for bone in piece.bones)
        assert used <= piece.length_mm + 1e-6
        assert piece.rest_mm == pytest.approx(piece.length_mm - used)
        if piece.source == "bought":
            assert piece.length_mm in kind.lengths_mm
    taken = Counter(piece.length_mm for piece in plan.pieces if piece.source == "shelf")
    assert all(count <= shelf.get(length, 0) for length, count in taken.items())
    bought = Counter(f"{piece.length_mm:g}" for piece in plan.pieces if piece.source == "bought")
    assert dict(bought) == plan.bought_mm


def fewest(lengths, sold, shelf):
    """The fewest pieces bought, and with them the least length used, by trying everything (few bones only)."""
    pieces = [(length, False) for length, count in shelf.items() for _ in range(count)]
    for bought in range(len(lengths) + 1):
        best = None
        for chosen in itertools.combinations_with_replacement(sold, bought):
            for k in range(len(pieces) + 1):
                for own in itertools.combinations(pieces, k):
                    room = [*chosen, *(length for length, _ in own)]
                    if fits(sorted(lengths, reverse=True), room):
                        best = min(best or 1e9, sum(room))
        if best is not None:
            return bought, best
    return None


def fits(lengths, room):
    if not lengths:
        return True
    for i, space in enumerate(room):
        if space >= lengths[0] and (i == 0 or space not in room[:i]):
            room[i] -= lengths[0]
            if fits(lengths[1:], room):
                room[i] += lengths[0]
                return True
            room[i] += lengths[0]
    return False


@settings(max_examples=25)
@given(st.lists(st.sampled_from([90, 120, 135, 180, 200, 240]), min_size=1, max_size=6), st.integers(0, 2))
def test_the_cutting_is_as_good_as_trying_everything(lengths, on_shelf):
    shelf = {310.0: on_shelf} if on_shelf else {}
    bones = wanted(*lengths)
    found = plan_cutting(STICKS, bones, shelf, PRACTICE)
    check(found, bones, STICKS, shelf)
    assert found.proven
    bought = sum(found.bought_mm.values())
    used = sum(piece.length_mm for piece in found.pieces)
    assert (bought, used) == fewest(lengths, (400, 250), shelf)


@pytest.mark.parametrize("seed", [0, 3, 7])
def test_forty_bones_from_six_lengths_are_proven_best(seed):
    lengths = [float(5 * one) for one in np.random.default_rng(seed).integers(28, 68, 20) for _ in range(2)]
    bones = wanted(*lengths)
    found = plan_cutting(SIX, bones, {}, PRACTICE)
    check(found, bones, SIX, {})
    assert found.proven
    assert sum(found.bought_mm.values()) >= sum(lengths) / 1000
    assert found == plan_cutting(SIX, bones, {}, PRACTICE)


def test_a_shelf_that_runs_out_is_filled_up_from_the_shop():
    bones = wanted(240, 240, 240)
    found = plan_cutting(STICKS, bones, {250.0: 2}, PRACTICE)
    check(found, bones, STICKS, {250.0: 2})
    assert Counter(piece.source for piece in found.pieces) == {"shelf": 2, "bought": 1}
    assert found.bought_mm == {"250": 1}


def test_what_no_piece_is_long_enough_for_is_said():
    bones = wanted(240, 520)
    found = plan_cutting(STICKS, bones, {}, PRACTICE)
    assert [one.label for one in found.unmet] == ["b1"]
    check(found, bones, STICKS, {})
    longer = plan_cutting(STICKS, bones, {600.0: 1}, PRACTICE)
    assert longer.unmet == ()


def test_off_the_coil_the_shelf_is_used_first_and_steps_are_counted():
    bones = wanted(200, 200, 190)
    found = plan_cutting(BONES["flat_6"], bones, {400.0: 1}, PRACTICE)
    check(found, bones, BONES["flat_6"], {400.0: 1})
    assert found.coil_mm == 500
    assert found.ends == 6
    assert found.price == pytest.approx(0.5 * 2.2 + 3 * 0.4)
    bare = plan_cutting(BONES["flat_6"], bones, {}, PRACTICE)
    assert bare.coil_mm == 1000
    assert bare.waste_mm == pytest.approx(410)


def test_ready_cut_bones_are_taken_as_they_are():
    ready = BONES["flat_7_ready"]
    found = plan_cutting(ready, wanted(200, 225, 225, 233), {225.0: 1}, PRACTICE)
    assert found.bought_mm == {"200": 1, "225": 1}
    assert [one.length_mm for one in found.unmet] == [233]
    assert found.ends == 0
    assert found.price == pytest.approx(1.8)


def test_nothing_to_cut_is_a_plan_too():
    assert plan_cutting(STICKS, [], {}, PRACTICE).pieces == ()


# --- once they are cut


LAID = lay_flat(drafted(), PRACTICE)
BONES_NOW = lay_bones(panel_arrays(LAID), BoneChoices(between=()), Around(front_mm=6.5))


def cut(changed=None):
    changed = changed or {}
    return tuple(
        CutBone(channel=bone.channel, kind=bone.kind, length_mm=changed.get(bone.channel, bone.length_mm))
        for bone in BONES_NOW
    )


def fates(given):
    found = reuse_cut_bones(BONES_NOW, given, PRACTICE)
    return {fate.channel: fate for fate in found.bones}, found


def test_before_any_bone_is_cut_there_is_nothing_to_say():
    assert reuse_cut_bones(BONES_NOW, (), PRACTICE) is None


def test_bones_that_fit_stay():
    by_channel, found = fates(cut())
    assert {fate.what for fate in by_channel.values()} == {"stays"}
    assert (found.new, found.cut_down, found.left) == (0, 0, ())


def test_a_bone_too_long_is_cut_down_and_one_too_short_is_made_anew():
    length = next(bone.room_mm for bone in BONES_NOW if bone.channel == "CB outer")
    by_channel, found = fates(cut({"CB outer": length + 40}))
    assert by_channel["CB outer"].what == "cut down"
    assert by_channel["CB outer"].length_mm <= length
    by_channel, found = fates(cut({"CB outer": length - 60}))
    assert by_channel["CB outer"].what == "new"
    assert [one.channel for one in found.left] == ["CB outer"]


def test_a_bone_that_no_longer_fits_goes_where_it_does():
    lengths = {bone.channel: bone.room_mm for bone in BONES_NOW}
    swapped = {"1·2": lengths["1·2"] + 45, "4·5": lengths["1·2"]}
    by_channel, found = fates(cut(swapped))
    if lengths["4·5"] - lengths["1·2"] > PRACTICE.ready_short_mm:
        assert by_channel["1·2"].from_channel == "4·5"
    assert found.new + found.cut_down <= 2
    assert {fate.channel for fate in found.bones} == set(lengths)


def test_a_bone_of_the_other_half_serves_before_a_new_one_is_cut():
    right, left = (
        BONES_NOW,
        tuple(
            bone.model_copy(update={"length_mm": bone.length_mm - 40, "room_mm": bone.room_mm - 40})
            for bone in BONES_NOW
        ),
    )
    as_planned = tuple(
        CutBone(channel=bone.channel, half=half, kind=bone.kind, length_mm=bone.length_mm)
        for half, bones in (("right", right), ("left", left))
        for bone in bones
    )
    found = reuse_cut_bones(right, as_planned, PRACTICE, left)
    assert {fate.what for fate in found.bones} == {"stays"}
    assert len(found.bones) == len(right) + len(left)
    # the halves change places: bones move, and none is cut
    found = reuse_cut_bones(left, as_planned, PRACTICE, right)
    assert {fate.what for fate in found.bones} == {"moves here"}
    assert any(fate.from_half == "left" and fate.half == "right" for fate in found.bones)
    assert (found.new, found.cut_down, found.left) == (0, 0, ())
    # cut for halves that were alike, of which the left is now shorter: only there are bones cut down
    found = reuse_cut_bones(right, cut(), PRACTICE, left)
    assert found.new == 0
    shortened = [fate for fate in found.bones if fate.what == "cut down"]
    assert {fate.half for fate in shortened} == {"left"}
    # each its own, where that did not go where it saves a cut
    moved = {(fate.from_channel, fate.from_half) for fate in found.bones if fate.what == "moves here"}
    assert moved
    flats = [fate for fate in shortened if fate.channel.startswith("C")]
    assert len(flats) == 3
    assert all((fate.from_channel, fate.from_half) == (fate.channel, fate.half) for fate in flats)


@settings(max_examples=20)
@given(st.lists(st.integers(-60, 60), min_size=len(BONES_NOW), max_size=len(BONES_NOW)))
def test_every_channel_has_one_bone_and_every_bone_one_place(offsets):
    given_bones = tuple(
        CutBone(channel=bone.channel, kind=bone.kind, length_mm=max(20.0, bone.length_mm + off))
        for bone, off in zip(BONES_NOW, offsets, strict=True)
    )
    found = reuse_cut_bones(BONES_NOW, given_bones, PRACTICE)
    assert [fate.channel for fate in found.bones] == [bone.channel for bone in BONES_NOW]
    given_away = [fate.from_channel for fate in found.bones if fate.from_channel]
    assert len(given_away) == len(set(given_away))
    assert len(given_away) + len(found.left) == len(given_bones)
    rooms = {bone.channel: bone.room_mm for bone in BONES_NOW}
    for fate in found.bones:
        assert fate.length_mm <= rooms[fate.channel]
        if fate.what in ("stays", "moves here"):
            assert rooms[fate.channel] - fate.length_mm <= PRACTICE.ready_short_mm


def test_where_the_time_is_too_short_there_is_still_a_plan_and_it_says_so(monkeypatch):
    from fuseau.craft.boning import arc_flow

    monkeypatch.setattr(arc_flow, "_best", lambda model, use: None)
    monkeypatch.setattr(arc_flow.ArcFlow, "_meeting", lambda self, least, total: None)
    bones = wanted(240, 135, 135, 200, 90)
    for kind, shelf in ((STICKS, {310.0: 1}), (BONES["flat_6"], {310.0: 1}), (STICKS, {})):
        found = plan_cutting(kind, bones, shelf, PRACTICE)
        check(found, bones, kind, shelf)
        assert not found.proven
