"""Channels and the bones in them: where they lie, how they bend, what is told of them (model, section 7)."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import ValidationError
from shapely.geometry import LineString, Polygon

from fuseau.commands.fields import change
from fuseau.commands.versions import cut_version
from fuseau.craft.base.practice import Practice
from fuseau.craft.boning.bones import between_now, edge_stiffness, lay_bones
from fuseau.craft.boning.channels import Around, bend_of, bend_on_seam, panel_arrays
from fuseau.craft.boning.checks import check_bones, check_lost
from fuseau.craft.boning.choices import Between, BoneChoices, Shaped, Through
from fuseau.craft.boning.spacing import check_clashes, check_spacing, unboned
from fuseau.craft.materials.catalogue import BONES, SCHOOLS, BoneKind, OwnKinds, entry_key
from fuseau.craft.pattern.hand_edits import AddDart
from fuseau.craft.pattern.pattern import Gusset
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.wording.faults import faults
from tests.conftest import TODAY, edited
from tests.craft.pattern.test_hand_edits import made
from tests.craft.pattern.test_pattern import drafted
from tests.kinds import ALL_KINDS, built
from tests.plans import plan
from tests.saying import said, unread

PRACTICE = Practice()
LAID = lay_flat(drafted(), PRACTICE)
AROUND = Around(front_mm=6.5, front_panels=3)


def labels(choices, around=AROUND, laid=LAID):
    return [bone.channel for bone in lay_bones(panel_arrays(laid), choices, around)]


def bone(label, choices, around=AROUND, laid=LAID):
    return next(one for one in lay_bones(panel_arrays(laid), choices, around) if one.channel == label)


# --- where they lie


@pytest.mark.parametrize(
    ("place", "expected"),
    [("on", ["2·3"]), ("CF side", ["2·3"]), ("CB side", ["2·3"]), ("both sides", ["2·3 CF", "2·3 CB"]), ("none", [])],
)
def test_a_seam_has_its_channel_on_it_beside_it_on_both_sides_or_none(place, expected):
    found = [label for label in labels(BoneChoices(between=(), on_seams={"2·3": place})) if label.startswith("2·3")]
    assert found == expected


def test_a_channel_beside_a_seam_keeps_its_distance_and_lies_in_its_panel():
    for place, panel in (("CF side", 2), ("CB side", 3)):
        found = bone("2·3", BoneChoices(between=(), on_seams={"2·3": place}))
        assert found.panel == panel
        arrays = panel_arrays(LAID)[panel - 1]
        edge = LineString(arrays.cb if place == "CF side" else arrays.cf)
        away = [edge.distance(LineString([spot, spot])) for spot in found.path[4:-4]]
        wanted = found.channel_width_mm / 2 + PRACTICE.strip_margin_mm
        assert away == pytest.approx([wanted] * len(away), abs=0.2)


@settings(max_examples=40)
@given(st.integers(1, 6), st.floats(0.1, 0.9), st.sampled_from(sorted(BONES)))
def test_a_bone_lies_within_its_channel_and_the_channel_within_its_panel(panel, across, kind):
    choices = BoneChoices(between=(Between(panel=panel, letter="a", across=across),), by_channel={f"{panel}a": kind})
    found = bone(f"{panel}a", choices)
    outline = Polygon(LAID.panels[panel - 1].outline).buffer(0.2)
    assert outline.contains(LineString(found.path))
    assert LineString(found.path).buffer(0.2).contains(LineString(found.bone_path))
    assert found.length_mm <= found.room_mm <= found.path_mm - 2 * BONES[kind].clearance_mm + 1e-6
    low, high = found.path[0][1], found.path[-1][1]
    if found.length_mm:
        assert found.bone_path[0][1] - low > 5
        assert high - found.bone_path[-1][1] > 5


def test_a_channel_between_seams_can_go_only_so_far():
    short = bone("2a", BoneChoices(between=(Between(panel=2, letter="a", across=0.5, from_mm=-40, to_mm=60),)))
    assert short.path[0][1] == pytest.approx(-40, abs=0.1)
    assert short.path[-1][1] == pytest.approx(60, abs=0.1)


def test_a_shaped_channel_goes_through_its_points_and_on_to_a_near_edge():
    points = (Through(across=0.3, z_mm=-70), Through(across=0.6, z_mm=0), Through(across=0.4, z_mm=60))
    choices = BoneChoices(between=(), shaped=(Shaped(panel=2, letter="s", points=points),))
    found = bone("2s", choices)
    line, arrays = LineString(found.path), panel_arrays(LAID)[1]
    for point in points:
        spot = (float(arrays.across(point.across, np.array([point.z_mm]))[0]), point.z_mm)
        assert line.distance(LineString([spot, spot])) < 0.3
    assert found.radius_mm is not None
    assert found.radius_mm < 400
    assert found.kind == "spiral_6"  # flat steel, which lies between seams, can't follow that
    assert found.swapped


def test_no_channel_runs_through_the_point_of_a_gusset_unless_asked():
    gusset = Gusset(seam=2, end="hem", width_mm=40, depth_mm=70, tip_mm=-40)
    around = Around(front_mm=6.5, gussets=(gusset,))
    plain, stopped = bone("2·3", BoneChoices(between=())), bone("2·3", BoneChoices(between=()), around)
    assert plain.path[0][1] < -80
    assert stopped.path[0][1] == pytest.approx(-40 + PRACTICE.point_clear_mm, abs=0.1)
    over = bone("2·3", BoneChoices(between=(), over_gussets=True), around)
    assert over.path_mm == pytest.approx(plain.path_mm)


DARTED = lay_flat(
    made(drafted(), AddDart(panel=2, across=0.5, width_mm=14, low_mm=-60, widest_mm=0, high_mm=70)), PRACTICE
)


def test_the_usual_channels_keep_clear_of_a_dart_and_its_points():
    assert DARTED.panels[1].darts
    narrow = Around(front_mm=6.5, practice=Practice(unboned_mm=30))
    found = [
        one
        for one in lay_bones(panel_arrays(DARTED), BoneChoices(), narrow)
        if one.panel == 2 and one.place == "between"
    ]
    assert found
    for one in found:
        for dart in DARTED.panels[1].darts:
            assert LineString(one.path).distance(Polygon(dart)) >= PRACTICE.point_clear_mm


def test_a_channel_through_a_dart_is_told_and_moved_clear():
    choices = BoneChoices(between=(Between(panel=2, letter="a", across=0.5),))
    bones = lay_bones(panel_arrays(DARTED), choices, AROUND)
    told = check_clashes(panel_arrays(DARTED), bones, choices, AROUND, 45)
    assert [(one.where, "dart" in said(one.sentence)) for one in told] == [("2a", True)]
    mended = BoneChoices.model_validate({"between": told[0].mend.changes[0].value})
    assert (
        check_clashes(panel_arrays(DARTED), lay_bones(panel_arrays(DARTED), mended, AROUND), mended, AROUND, 45) == []
    )


def test_where_panels_are_joined_the_bone_lies_beside_the_line():
    build = built("boned bodice", draft__one_piece=True)
    found = plan(build)
    assert found.pattern.joined
    joined = {f"{seam}·{seam + 1}" for seam in found.pattern.joined}
    assert all(one.place == "beside seam" for one in found.bones if one.channel in joined)


def test_more_bones_in_front_and_at_the_sides_than_behind():
    for kind in ("underbust corset", "overbust corset", "longline corset", "strapless bodice"):
        found = plan(built(kind))
        between = [one.panel for one in found.bones if one.place == "between"]
        front = found.pattern.front_panels
        assert between
        behind = sum(panel > front + 1 for panel in between)
        assert behind < len(between) / 2, kind
    light, firm = plan(built("boned bodice")), plan(built("overbust corset"))
    assert light.unboned_limit_mm == 65
    assert firm.unboned_limit_mm == 50


def test_a_doubled_channel_holds_two_and_has_a_line_of_stitching_more():
    single, double = (bone("2·3", BoneChoices(between=(), doubled=one)) for one in ((), ("2·3",)))
    assert (single.count, double.count) == (1, 2)
    assert (len(single.lines_mm), len(double.lines_mm)) == (2, 3)
    assert double.lines_mm[-1] - double.lines_mm[0] == pytest.approx(2 * single.channel_width_mm)


@pytest.mark.parametrize(("bones", "count"), [(("2·3",), 2), ((), 1)])
def test_an_outside_tape_is_as_wide_as_its_channels_and_its_margins(bones, count):
    found = bone("2·3", BoneChoices(between=(), made="outside tape", doubled=bones))
    assert found.strip_mm == count * found.channel_width_mm + 2 * PRACTICE.strip_margin_mm
    assert found.strip_cut_mm == found.strip_mm + 2 * PRACTICE.strip_turning_mm
    assert len(found.lines_mm) == count + 1
    assert bone("CB outer", BoneChoices(between=(), made="outside tape")).made == "between plies"


def test_thicker_wrapping_asks_for_a_wider_channel():
    plies, allowance = (
        bone("2·3", BoneChoices(between=(), made=made)) for made in ("between plies", "in the allowances")
    )
    assert allowance.channel_width_mm > plies.channel_width_mm


# --- schools and kinds


def test_each_school_is_recognised_and_steel_is_the_default():
    assert BoneChoices().is_of(next(one for one in SCHOOLS if one.name == "all steel"))
    for school in SCHOOLS:
        taught = BoneChoices(by_channel={"2·3": "cable_tie_8"}).taught(school)
        assert taught.is_of(school)
        assert sum(taught.is_of(other) for other in SCHOOLS) == 1
        assert taught.by_channel == {}


def test_kinds_take_turns_where_that_is_asked():
    found = lay_bones(panel_arrays(LAID), BoneChoices(between=(), every_second="synthetic_7", curved=None), AROUND)
    kinds = {one.channel: one.kind for one in found}
    assert kinds["2·3"] == kinds["4·5"] == "synthetic_7"
    assert kinds["1·2"] == kinds["3·4"] == kinds["5·6"] == "spiral_6"
    assert not BoneChoices(every_second="synthetic_7").is_of(SCHOOLS[0])


def test_curves_get_the_kind_that_follows_and_overrides_stand():
    sharp = (Through(across=0.2, z_mm=-60), Through(across=0.7, z_mm=0), Through(across=0.2, z_mm=60))
    choices = BoneChoices(between=(), shaped=(Shaped(panel=2, letter="s", points=sharp),), between_seams="flat_12")
    assert bone("2s", choices).kind == "spiral_6"
    kept = bone("2s", choices.model_copy(update={"by_channel": {"2s": "flat_12"}}))
    assert kept.kind == "flat_12"
    assert not kept.swapped
    assert bone("2s", choices.model_copy(update={"curved": None})).kind == "flat_12"


@pytest.mark.parametrize(
    ("fields", "at", "says"),
    [
        ({"width_mm": 0}, "width_mm", "can't be right for the width of a bone"),
        ({"thickness_mm": "9 mm"}, "thickness_mm", "can't be right for the thickness"),
        ({"sold": "lengths"}, "lengths_mm", "Which lengths is"),
        ({"price_per_m": "dear"}, "price_per_m", "A price by the metre goes from 0"),
    ],
)
def test_a_catalogue_entry_that_cannot_be_is_told_at_its_field(fields, at, says):
    entry = {"name": "own", "label": "own steel", "material": "flat steel", "width_mm": 5, "thickness_mm": 0.5}
    with pytest.raises(ValidationError) as caught:
        OwnKinds.model_validate({"bones": {"own": {**entry, **fields}}})
    fault = faults(caught.value)[0]
    assert fault.at.endswith(at)
    assert says in said(fault.sentence)


def test_an_own_kind_stands_in_for_the_shipped_one_or_beside_it():
    wider = BONES["flat_6"].model_copy(update={"width_mm": 8.0})
    own = OwnKinds(bones={"flat_6": wider})
    assert own.kinds["flat_6"].width_mm == 8
    assert set(own.kinds) == set(BONES)
    name = entry_key("Flat steel 6 × 0.8 mm", BONES)
    assert name not in BONES
    assert entry_key("12 thin", BONES).startswith("bone_12")
    with unread("says it is"):
        OwnKinds(bones={"other": wider})


def test_a_ready_cut_bone_is_the_longest_sold_and_one_too_short_is_told_with_a_mend():
    ready = BoneChoices(between=(), seams="flat_7_ready", curved=None)
    found = bone("2·3", ready)
    assert found.length_mm in BONES["flat_7_ready"].lengths_mm
    assert found.length_mm == max(one for one in BONES["flat_7_ready"].lengths_mm if one <= found.room_mm)
    sparse = BONES["flat_7_ready"].model_copy(update={"lengths_mm": (150.0, 400.0)})
    around = Around(front_mm=6.5, kinds={**BONES, "flat_7_ready": sparse})
    told = [
        one
        for one in check_bones(lay_bones(panel_arrays(LAID), ready, around), LAID.panels[-1], ready, around)
        if one.code == "ready_cut_short"
    ]
    assert told
    assert "room for" in said(told[0].sentence)
    none = BONES["flat_7_ready"].model_copy(update={"lengths_mm": (400.0,)})
    around = Around(front_mm=6.5, kinds={**BONES, "flat_7_ready": none})
    told = check_bones(lay_bones(panel_arrays(LAID), ready, around), LAID.panels[-1], ready, around)
    assert any("sold no shorter than 400 mm" in said(one.sentence) for one in told)


def test_a_straight_path_does_not_bend_and_an_arc_bends_as_it_is():
    straight = np.column_stack([np.linspace(0, 20, 60), np.linspace(-100, 100, 60)])
    assert bend_of(straight)[0] < 1e-6
    turn = np.linspace(-0.5, 0.5, 80)
    arc = np.column_stack([200 * np.cos(turn), 200 * np.sin(turn)])
    assert 1 / bend_of(arc)[0] == pytest.approx(200, rel=0.02)


@pytest.mark.parametrize("shift", [0.0, 1.7, 4.1, 8.3])
def test_a_bend_is_its_sharpest_whatever_its_neighbours_do(shift):
    # a chord of 40 mm that rises by 0.47 mm between straight stretches: a radius of 426 mm
    radius = 40**2 / (8 * 0.47)
    half = 20 / radius
    turn = np.linspace(-half, half, 30)
    arc = np.column_stack([radius * (np.cos(turn) - np.cos(half)), radius * np.sin(turn)])
    ways = [np.array([np.sin(half), np.cos(half)]), np.array([-np.sin(half), np.cos(half)])]
    below = [arc[0] - ways[0] * step for step in (60.0 + shift, 40.0, 20.0)]
    above = [arc[-1] + ways[1] * step for step in (20.0, 40.0, 60.0)]
    found, at = bend_of(np.vstack([*below, arc, *above]))
    assert 1 / found == pytest.approx(426, rel=0.03)
    assert abs(at) < 20
    straight = np.column_stack([np.zeros(40), np.linspace(-80, 80, 40)])
    both = np.vstack([*below, arc, *above])
    one_edge, _ = bend_on_seam(both, straight)
    assert 1 / one_edge == pytest.approx(2 * 426, rel=0.05)
    mirrored, _ = bend_on_seam(both, both * np.array([-1, 1]))
    assert mirrored < 1e-6


@settings(max_examples=60)
@given(
    st.sampled_from(sorted(BONES)),
    st.sampled_from(sorted(BONES)),
    st.integers(1, 2),
    st.integers(1, 2),
    st.floats(8, 14),
)
def test_another_bone_at_the_edge_never_softens_it(outer, inner, first, second, flange):
    def stiff(counts):
        return edge_stiffness(BONES[outer], flange, 0.9, PRACTICE, BONES[inner], counts)

    assert stiff((first, second)) >= stiff((1, 1)) - 1e-9
    assert stiff((2, second)) >= stiff((1, second)) - 1e-9
    assert stiff((first, 2)) >= stiff((first, 1)) - 1e-9


# --- spacing, clashes, mends


def test_the_widest_stretch_is_measured_between_bones():
    bare = BoneChoices(between=())
    bones = lay_bones(panel_arrays(LAID), bare, AROUND)
    found = {one.panel: one for one in unboned(panel_arrays(LAID), bones, AROUND)}
    arrays = panel_arrays(LAID)[2]
    left, right = arrays.edges_at(np.array([found[3].z_mm]))
    seams = [next(one for one in bones if one.channel == label) for label in ("2·3", "3·4")]
    expected = float(right[0] - left[0]) - sum(one.width_mm for one in seams) / 2
    assert found[3].wide_mm == pytest.approx(expected, abs=1.5)
    with_one = lay_bones(panel_arrays(LAID), BoneChoices(between=(Between(panel=3, letter="a", across=0.5),)), AROUND)
    halved = {one.panel: one for one in unboned(panel_arrays(LAID), with_one, AROUND)}
    assert halved[3].wide_mm < 0.6 * found[3].wide_mm


@pytest.mark.parametrize("kind", [kind for kind in ALL_KINDS if kind != "neck corset"])
@pytest.mark.parametrize("seams", [{}, {"2·3": "none"}])
def test_every_mend_of_a_stretch_removes_its_finding(kind, seams):
    build = built(kind, bones__between=[], bones__on_seams=seams)
    told = [one for one in plan(build).findings if one.code == "unboned"]
    assert told
    for finding in told:
        assert finding.numbers["wide_mm"] > finding.numbers["limit_mm"]
        assert finding.mend is not None
        mended = plan(change(build, list(finding.mend.changes), "cm"))
        assert finding.where not in {one.where for one in mended.findings if one.code == "unboned"}


CLASHING = (
    ("too near the seam", {"bones__between": [{"panel": 2, "letter": "a", "across": 0.04}]}, "2a"),
    ("into the lacing edge", {"bones__between": [{"panel": 6, "letter": "a", "across": 0.8}]}, "6a"),
    ("into the busk", {"bones__between": [{"panel": 1, "letter": "a", "across": 0.06}]}, "1a"),
    (
        "crossing another",
        {
            "bones__between": [{"panel": 3, "letter": "a", "across": 0.5}],
            "bones__shaped": [
                {"panel": 3, "letter": "b", "points": [{"across": 0.3, "z_mm": -60}, {"across": 0.7, "z_mm": 60}]}
            ],
        },
        "3a",
    ),
    ("both sides of a narrow seam", {"bones__seams": "flat_12", "bones__on_seams": {"5·6": "CB side"}}, "5·6"),
)


@pytest.mark.parametrize(("what", "fields", "where"), CLASHING, ids=[one[0] for one in CLASHING])
def test_every_clash_is_told_and_its_mend_removes_it(what, fields, where):
    build = built("underbust corset", **fields)
    told = [one for one in plan(build).findings if one.code == "channels_clash"]
    assert where in {one.where for one in told}, what
    for finding in told:
        mended = plan(change(build, list(finding.mend.changes), "cm"))
        assert finding.where not in {one.where for one in mended.findings if one.code == "channels_clash"}


def test_what_lies_clear_is_no_clash():
    choices = BoneChoices(between=(Between(panel=3, letter="a", across=0.5),))
    bones = lay_bones(panel_arrays(LAID), choices, AROUND)
    assert check_clashes(panel_arrays(LAID), bones, choices, AROUND, 45) == []
    assert all(one.mend for one in check_spacing(panel_arrays(LAID), bones, choices, AROUND))


def test_channels_of_panels_that_are_gone_are_told_and_forgotten_by_the_mend():
    choices = BoneChoices(between=(Between(panel=9, letter="a", across=0.5), Between(panel=2, letter="a", across=0.5)))
    assert "9a" not in labels(choices)
    told = check_lost(len(LAID.panels), choices)
    assert told[0].where == "9a"
    assert [one["panel"] for one in told[0].mend.changes[0].value] == [2]
    assert check_lost(LAID, BoneChoices()) == []


def test_a_channel_in_the_allowances_is_moved_beside_its_seam():
    build = built("underbust corset", bones__made="in the allowances")
    told = [one for one in plan(build).findings if one.code == "channel_in_allowances"]
    assert told
    mended = plan(change(build, list(told[0].mend.changes), "cm"))
    assert told[0].where not in {one.where for one in mended.findings if one.code == "channel_in_allowances"}


def test_an_edge_that_the_last_panel_cannot_carry_is_mended_by_narrower_bones():
    """A version is what it is; a draft would have made the panel wide enough."""
    plain = built("underbust corset", draft__panels=7)
    build = edited(cut_version(plain, plan(plain), TODAY), bones__doubled=["CB outer", "CB inner"])
    assert plan(edited(plain, bones__doubled=["CB outer", "CB inner"])).holes.edge_carries
    found = plan(build)
    told = [one for one in found.findings if one.code == "lacing_edge_too_wide"]
    assert told
    assert not found.holes.edge_carries
    mended = plan(change(build, list(told[0].mend.changes), "cm"))
    assert not [one for one in mended.findings if one.code == "lacing_edge_too_wide"]
    assert mended.holes.edge_carries


@pytest.mark.parametrize(
    ("value", "says"),
    [
        ([{"panel": 2, "letter": "a", "across": 1.3}], "A place across its panel"),
        ([{"panel": 2, "letter": "a", "across": 0.4}, {"panel": 2, "letter": "a", "across": 0.6}], "two channels 2a"),
    ],
)
def test_a_channel_dragged_off_its_panel_is_refused_in_words(value, says):
    with pytest.raises(ValidationError) as caught:
        built("underbust corset", bones__between=value)
    assert says in said(faults(caught.value)[0].sentence)


def test_a_kind_that_nobody_knows_is_told_where_it_was_chosen():
    with pytest.raises(ValidationError) as caught:
        built("underbust corset", bones__seams="whalebone")
    assert faults(caught.value)[0].at == "bones.seams"
    assert "no kind of bone called" in said(faults(caught.value)[0].sentence)


def test_the_usual_channels_become_the_makers_with_her_first_edit():
    usual = between_now(panel_arrays(LAID), BoneChoices(), AROUND)
    assert lay_bones(panel_arrays(LAID), BoneChoices(between=usual), AROUND) == tuple(
        one.model_copy(update={"own": f"between.{[u.label for u in usual].index(one.channel)}"})
        if one.place == "between"
        else one
        for one in lay_bones(panel_arrays(LAID), BoneChoices(), AROUND)
    )
    kind = BoneKind(name="x", label="x", material="woven", width_mm=8, thickness_mm=1)
    assert kind.least_radius_mm == pytest.approx(200)
