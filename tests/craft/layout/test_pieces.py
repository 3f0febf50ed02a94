"""Every piece of every ply: as many as it must be, with the allowance of its own ply, and closed (model, 11)."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.planning.stages.cut import pieces_of, plan_cut, strips_of
from tests.any_builds import any_builds
from tests.commands.test_patterns import drawn
from tests.kinds import ALL_KINDS, built
from tests.plans import plan

BUILDS = {kind: built(kind) for kind in ALL_KINDS}
USUAL = (("lining", "lawn", {}), ("strength", "coutil", {}), ("fashion", "sateen", {}))
FIVE = (
    ("lining", "lawn", {}),
    ("strength", "coutil", {}),
    ("interlining", "fusible_light", {"panels": [1, 2]}),
    ("fashion", "brocade", {}),
    ("overlay", "lace", {}),
)


def with_plies(build, *plies, **more):
    given_plies = [{"role": role, "cloth": cloth, **rest} for role, cloth, rest in plies]
    changes = [Change(at="layers.plies", value=given_plies)]
    return change(build, changes + [Change(at=at.replace("__", "."), value=v) for at, v in more.items()], "cm")


def test_several_thick_plies_are_still_a_garment():
    thick = ("lining", "lawn", {"thickness_mm": 8})
    build = with_plies(BUILDS["underbust corset"], thick, thick, ("strength", "coutil", {}))
    assert build.stack.lining_mm == 16
    assert plan(build).pattern is not None


def pieces(build):
    return pieces_of(build, plan(build))


def of_ply(found, role, what="panel"):
    return [one for one in found if role in one.key and one.what == what]


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_every_panel_of_every_ply_is_there_as_a_pair(kind):
    found = pieces(BUILDS[kind])
    count = len(plan(BUILDS[kind]).pattern.panels)
    assert len({one.key for one in found}) == len(found)
    for role in ("lining", "strength", "fashion"):
        panels = of_ply(found, role)
        assert [one.panels for one in panels] == [(k + 1,) for k in range(count)]
        assert all(one.count == 2 and one.mirrored for one in panels)
    for one in found:
        cut, stitch = Polygon(one.outline), Polygon(one.stitch)
        assert cut.is_valid
        assert stitch.is_valid
        assert cut.buffer(0.05).contains(stitch)
        assert one.area_mm2 == pytest.approx(cut.area)


def test_five_plies_are_cut_on_the_panels_that_they_lie_on():
    found = pieces(with_plies(BUILDS["underbust corset"], *FIVE))
    assert [one.panels for one in of_ply(found, "interlining")] == [(1,), (2,)]
    assert len(of_ply(found, "overlay")) == 6
    strict = {one.tolerance_deg for one in found if "strength" in one.key}
    assert strict == {2}
    assert {one.tolerance_deg for one in found if "overlay" in one.key and one.what == "panel"} == {10}
    assert {one.one_way for one in found if one.cloth == "brocade"} == {True}


def test_a_ply_with_its_own_allowance_is_cut_by_it_and_the_others_are_not():
    narrow = {"seams_mm": 6, "top_mm": 0, "hem_mm": 0, "cf_mm": 6, "cb_mm": 6}
    plain = pieces(BUILDS["underbust corset"])
    own = pieces(with_plies(BUILDS["underbust corset"], ("lining", "lawn", {"allowances": narrow}), *USUAL[1:]))
    for before, after in zip(of_ply(plain, "lining"), of_ply(own, "lining"), strict=True):
        assert after.area_mm2 < before.area_mm2
        assert Polygon(after.stitch).equals(Polygon(before.stitch))
    assert [one.outline for one in of_ply(plain, "strength")] == [one.outline for one in of_ply(own, "strength")]


@settings(max_examples=12)
@given(st.floats(0.3, 6))
def test_what_the_panels_of_a_thick_outer_ply_are_wider_by_sums_to_what_it_goes_further_round(thick):
    build = with_plies(BUILDS["underbust corset"], *FIVE[:2], ("fashion", "velvet", {"thickness_mm": thick}))
    planned = plan(build)
    ply = planned.layers.plies[-1]
    found = pieces_of(build, planned)
    inner, outer = of_ply(found, "strength"), of_ply(found, "fashion")

    def wide(piece):
        """Across the stitch line, at the waist."""
        line = Polygon(piece.stitch).intersection(Polygon([(-2000, -0.01), (-2000, 0.01), (2000, 0.01), (2000, -0.01)]))
        return line.bounds[2] - line.bounds[0]

    more = 2 * sum(wide(two) - wide(one) for one, two in zip(inner, outer, strict=True))
    # measured square to the edge, and across it on the waistline: the edges lean
    assert more == pytest.approx(ply.grows_mm if abs(ply.grows_mm) >= 2 else 0.0, rel=0.05, abs=0.01)


def test_an_overlay_in_one_piece_is_one_piece_as_wide_as_its_panels_at_the_waist():
    lace = ("overlay", "stretch_lace", {"panels": [1, 2, 3], "mounted": "overlaid in one piece"})
    build = with_plies(BUILDS["underbust corset"], *FIVE[:2], lace)
    planned = plan(build)
    (whole,) = of_ply(pieces_of(build, planned), "overlay", "overlay")
    assert (whole.panels, whole.count, whole.label) == ((1, 2, 3), 2, "1 to 3")
    waist = sum(panel.waist[1][0] - panel.waist[0][0] for panel in planned.pattern.panels[:3])
    line = Polygon(whole.stitch).intersection(Polygon([(-2000, -0.01), (-2000, 0.01), (2000, 0.01), (2000, -0.01)]))
    grows = planned.layers.plies[-1].grows_mm / 2
    assert line.bounds[2] - line.bounds[0] == pytest.approx(waist + grows, abs=0.5)
    assert Polygon(whole.outline).is_valid


def test_where_the_halves_differ_each_has_its_own_pieces(today):
    seam = {"kind": "seam", "seam": 2, "at_mm": 0, "amount_mm": "3 mm", "side": "left"}
    parted = drawn(BUILDS["underbust corset"], today, seam)
    found = of_ply(pieces(parted), "strength")
    assert [(one.label, one.half) for one in found[:6]] == [(str(k), "right") for k in range(1, 7)]
    assert [(one.label, one.half) for one in found[6:]] == [(str(k), "left") for k in range(1, 7)]
    assert all(one.count == 1 and not one.mirrored for one in found)
    same = [one.outline == other.outline for one, other in zip(found[:6], found[6:], strict=True)]
    assert same[1:] == [False, False, True, True, True]  # and of panel 1 the corner that is trued with panel 2


def test_an_open_front_is_faced_and_a_gap_gets_a_panel_of_three_plies():
    found = pieces(BUILDS["underbust corset"])
    (facing,) = [one for one in found if one.what == "facing"]
    assert (facing.count, facing.cloth) == (2, "sateen")
    behind = [one for one in found if one.what == "modesty panel"]
    assert [one.cloth for one in behind] == ["lawn", "coutil", "sateen"]
    assert {one.count for one in behind} == {1}
    shut = change(BUILDS["underbust corset"], [Change(at="front.opening", value="none")], "cm")
    assert not [one for one in pieces(shut) if one.what == "facing"]


def test_what_is_bound_and_taped_is_as_long_as_what_it_lies_on():
    build = BUILDS["underbust corset"]
    planned = plan(build)
    found = {one.what: one for one in strips_of(build, planned)}
    top = found["binding, top"]
    edge = sum(Polygon([*panel.top, *panel.top[::-1]]).length / 2 for panel in planned.pattern.panels)
    assert top.lengths_mm == pytest.approx([edge + 30] * 2)
    assert top.width_mm == pytest.approx(4 * 10 + 2 * 1.15)
    assert found["waist tape"].lengths_mm == planned.waist_tape.cuts_mm
    taped = change(build, [Change(at="bones.made", value="inside tape")], "cm")
    tapes = [one for one in strips_of(taped, plan(taped)) if one.what == "channel tape"]
    under = [bone for bone in plan(taped).bones if bone.made == "inside tape"]
    assert sum(one.length_mm for one in tapes) == pytest.approx(2 * sum(bone.path_mm + 30 for bone in under))
    turned = change(build, [Change(at="layers.method", value="bagged out")], "cm")
    assert not [one for one in strips_of(turned, plan(turned)) if one.what.startswith("binding")]
    loops = change(build, [Change(at="back.holes", value="tape_loop")], "cm")
    (tape,) = [one for one in strips_of(loops, plan(loops)) if one.what == "loops"]
    assert len(tape.lengths_mm) == plan(loops).holes.count


# --- no piece is lost, and none is cut for nothing


def test_a_ply_on_some_panels_of_one_piece_is_cut_as_far_as_it_lies():
    build = with_plies(
        BUILDS["underbust corset"], *USUAL[:2], ("fashion", "sateen", {"panels": [1, 2]}), draft__one_piece=True
    )
    planned = plan(build)
    found = pieces_of(build, planned)
    assert planned.pattern.joined
    for role, over in (("strength", range(1, 7)), ("fashion", (1, 2))):
        covered = sorted(number for one in of_ply(found, role) for number in one.panels)
        assert covered == list(over)


def test_a_gusset_is_cut_of_the_plies_that_lie_beside_it(today):
    gusset = {"kind": "gusset", "seam": 4, "end": "hem", "width_mm": "4", "depth_mm": "8"}
    plies = *USUAL[:2], ("interlining", "flannel", {"panels": [1, 2]}), ("fashion", "sateen", {"panels": [4, 5]})
    build = drawn(with_plies(BUILDS["underbust corset"], *plies), today, gusset)
    cut_of = {one.cloth for one in pieces(build) if one.what == "gusset"}
    assert cut_of == {"lawn", "coutil", "sateen"}


def test_a_cloth_too_narrow_for_its_binding_gives_no_strips_and_the_rest_is_still_told():
    ribbon = {"name": "ribbon", "label": "ribbon", "suits": ["fashion"], "thickness_mm": 0.3, "mass_g_m2": 90}
    own = {**ribbon, "width_mm": 60, "selvedge_mm": 5}
    build = change(BUILDS["underbust corset"], [Change(at="catalogue.cloths.ribbon", value=own)], "cm")
    build = change(build, [Change(at="layers.plies.2.cloth", value="ribbon")], "cm")
    told = {one.what: one for one in strips_of(build, plan(build))}
    assert told["binding, top"].strips is None
    assert told["binding, top"].length_mm > 500
    assert plan_cut(build, plan(build)).cloths[2].strips_mm == 0


@settings(max_examples=6, deadline=None)
@given(any_builds(("layers", "draft")))
def test_of_whatever_is_decided_every_piece_is_closed_and_there(build):
    planned = plan(build)
    found = pieces_of(build, planned)
    if planned.pattern is None:
        assert found == ()
        return
    assert len({one.key for one in found}) == len(found)
    numbers = {panel.number for panel in planned.pattern.panels}
    halves = 2 if planned.pattern.left_panels else 1
    for i, ply in enumerate(planned.layers.plies):
        over = [number for one in found if one.ply == i and one.what in ("panel", "overlay") for number in one.panels]
        assert set(over) == numbers & set(ply.panels)
        assert all(over.count(number) >= halves for number in set(over))  # a panel with a join is cut in parts
    assert all(one.area_mm2 > 0 and one.count > 0 for one in found)
    plan_cut(build, planned)
