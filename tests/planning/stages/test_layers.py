"""The layers' stage, through the plan: what a maker decides of her cloth, and what she is told."""

import pytest
from pydantic import ValidationError

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.craft.plies.methods import METHODS
from fuseau.wording.faults import faults
from tests.kinds import ALL_KINDS, built
from tests.plans import plan
from tests.saying import said


def with_plies(build, *plies, **more):
    given = [{"role": role, "cloth": cloth, **rest} for role, cloth, rest in plies]
    changes = [Change(at="layers.plies", value=given), *(Change(at=f"layers.{at}", value=v) for at, v in more.items())]
    return change(build, changes, "cm")


def told(build):
    return {one.code: one for one in plan(build).findings if one.stage == "layers"}


def mended(build, finding):
    return change(build, list(finding.mend.changes), "cm")


UNDERBUST = built("underbust corset")
USUAL = (("lining", "lawn", {}), ("strength", "coutil", {}), ("fashion", "sateen", {}))


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_the_usual_plies_of_every_kind_need_nothing(kind):
    found = plan(built(kind)).layers
    assert [ply.role for ply in found.plies] == ["lining", "strength", "fashion"]
    assert told(built(kind)) == {}
    assert sum(found.minutes.values()) == next(one.minutes for one in found.methods if one.chosen)
    assert found.take_up_mm == pytest.approx(plan(built(kind)).final.take_up_mm)


def test_a_thicker_lining_takes_room_and_the_gap_follows_where_the_pattern_is_cut():
    thin, thick = (
        plan(with_plies(UNDERBUST, ("lining", "lawn", {"thickness_mm": mm}), *USUAL[1:])) for mm in (0.2, 1.5)
    )
    assert thick.layers.take_up_mm - thin.layers.take_up_mm == pytest.approx(
        2 * 3.14159 * 1.3 + 10 * 0.4 * 1.3, abs=0.01
    )
    # drafted for its plies, it closes to the wish either way
    assert thick.final.shape.mean_mm == pytest.approx(thin.final.shape.mean_mm, abs=1.0)
    assert thick.aim.closed_waist_mm > thin.aim.closed_waist_mm


def test_choosing_a_floating_lining_where_there_is_none_brings_one_and_takes_longer():
    bare = with_plies(UNDERBUST, *USUAL[1:])
    before = plan(bare)
    way = next(one for one in before.layers.methods if one.name == "floating lining")
    assert way.adds_lining
    after = plan(change(bare, list(way.changes), "cm"))
    assert [ply.role for ply in after.layers.plies] == ["lining", "strength", "fashion"]
    assert after.layers.plies[0].mounted == "floating"
    # drafted anew, its edges are a few millimetres longer
    assert sum(after.layers.minutes.values()) == pytest.approx(way.minutes, rel=0.005)
    assert after.layers.take_up_mm == pytest.approx(way.take_up_mm)
    assert after.layers.take_up_mm > before.layers.take_up_mm
    assert {bone.made for bone in after.bones if not bone.channel.startswith("CB ")} == {"inside tape"}


@pytest.mark.parametrize("k", range(8))
def test_what_a_method_says_beside_the_others_is_what_it_comes_to_when_chosen(k):
    way = plan(UNDERBUST).layers.methods[k]
    after = plan(change(UNDERBUST, list(way.changes), "cm")).layers
    chosen = next(one for one in after.methods if one.chosen)
    assert chosen.name == way.name
    assert (chosen.minutes, chosen.seam, chosen.hole) == (pytest.approx(way.minutes), way.seam, way.hole)
    assert tuple(ply.mounted for ply in after.plies) == way.mounted


def test_silk_alone_does_not_carry_and_the_mend_is_a_cloth_that_does():
    silk = with_plies(UNDERBUST, ("strength", "dupion", {}))
    found = told(silk)["ply_overloaded"]
    assert "creeps" in said(found.sentence)
    better = mended(silk, found)
    assert "ply_overloaded" not in told(better)
    assert "strength" in CLOTHS[better.layers.plies[0].cloth].suits


def test_what_no_hand_can_close_asks_nothing_absurd_of_the_cloth():
    laced = UNDERBUST
    shut = change(laced, [Change(at="back.laced", value=False), Change(at="target.reduction_percent", value=25)], "cm")
    assert plan(shut).final.waist_pressure_kpa > 10
    assert "ply_overloaded" not in told(shut)
    assert max(ply.carries_n_per_m or 0 for ply in plan(shut).layers.plies) <= shut.practice.zip_closes_n_per_m


def test_a_strength_ply_of_sateen_is_told_even_where_it_holds():
    light = with_plies(built("strapless bodice"), ("strength", "sateen", {}))
    assert set(told(light)) == {"not_a_strength_cloth"}


def test_a_fusible_under_velvet_burns_it_and_is_sewn_on_instead():
    velvet = with_plies(UNDERBUST, *USUAL[:2], ("interlining", "fusible_woven", {}), ("fashion", "velvet", {}))
    found = told(velvet)["fuse_burns"]
    assert found.numbers == {"fuses_c": 150, "bears_c": 110}
    assert "fuse_burns" not in told(mended(velvet, found))
    sateen = with_plies(UNDERBUST, *USUAL[:2], ("interlining", "fusible_woven", {}), ("fashion", "sateen", {}))
    assert "fuse_burns" not in told(sateen)


def test_lace_in_one_piece_puckers_over_shaped_panels_and_lies_when_it_is_cut_by_them():
    one_piece = ("overlay", "lace", {"mounted": "overlaid in one piece"})
    lace = with_plies(built("overbust corset"), *USUAL, one_piece)
    found = told(lace)["overlay_puckers"]
    assert found.numbers["needed"] > found.numbers["gives"]
    assert found.where.startswith("Seam ")
    assert "overlay_puckers" not in told(mended(lace, found))
    stretch = with_plies(
        built("overbust corset"), *USUAL, ("overlay", "stretch_lace", {"mounted": "overlaid in one piece"})
    )
    assert "overlay_puckers" not in told(stretch)


def test_a_ply_on_a_panel_that_is_gone_is_told_and_left_off():
    some = with_plies(UNDERBUST, *USUAL[:2], ("fashion", "brocade", {"panels": [1, 2, 6]}))
    assert plan(some).layers.plies[2].panels == (1, 2, 6)
    fewer = change(some, [Change(at="draft.panels", value=5)], "cm")
    found = told(fewer)["ply_off_panels"]
    assert plan(fewer).layers.plies[2].panels == (1, 2)
    assert "ply_off_panels" not in told(mended(fewer, found))


def test_thick_cloth_is_too_much_for_the_machine_lapped_and_for_a_short_shank():
    thick = with_plies(
        UNDERBUST, USUAL[0], ("strength", "denim", {}), ("fashion", "velvet", {}), method="lapped and topstitched"
    )
    assert told(thick)["seam_too_thick"].numbers["mm"] > 5
    eyelets = change(thick, [Change(at="back.holes", value="eyelet_5")], "cm")
    assert told(eyelets)["hole_too_thick"].numbers["most_mm"] == 1.8
    turned = with_plies(UNDERBUST, USUAL[0], ("strength", "denim", {}), ("fashion", "velvet", {}), method="bagged out")
    assert "stiff_to_turn" in told(turned)


def test_a_thick_outer_ply_is_cut_wider_at_each_edge():
    padded = with_plies(UNDERBUST, *USUAL[:2], ("fashion", "velvet", {"thickness_mm": 4}))
    found = told(padded)["ply_grows"]
    assert found.numbers["edge_mm"] * 24 == pytest.approx(found.numbers["grows_mm"])


def test_a_cloth_of_her_own_is_hers_in_every_place_and_stays_as_it_was_when_tried(today):
    from fuseau.commands.fittings import log_fitting
    from tests.planning.test_pipeline import READINGS

    mine = {**CLOTHS["canvas"].model_dump(), "name": "sailcloth", "label": "sailcloth", "stiffness_kn_per_m": 90}
    build = change(UNDERBUST, [Change(at="catalogue.cloths.sailcloth", value=mine)], "cm")
    build = change(
        build,
        [Change(at="layers.plies.1.cloth", value="sailcloth"), Change(at="mock_up.stack.strength", value="sailcloth")],
        "cm",
    )
    planned = plan(build)
    assert planned.stack.own.label == planned.layers.plies[1].label == "sailcloth"
    tried = log_fitting(build, planned, {"pull": "close", "readings": READINGS}, today, "cm")
    assert tried.fittings[0].made_of.stack.own.stiffness_kn_per_m == 90
    assert [one.label for one in plan(tried).learned.cloths] == ["sailcloth"]


def test_a_cloth_that_nobody_knows_is_refused_where_it_is_named():
    with pytest.raises(ValidationError) as caught:
        change(UNDERBUST, [Change(at="layers.plies.1.cloth", value="moonweave")], "cm")
    (fault,) = faults(caught.value)
    assert fault.at == "layers.plies.1.cloth"
    assert "moonweave" in fault.sentence


# --- one thing is said of one garment


@pytest.mark.parametrize("method", [one.name for one in plan(UNDERBUST).layers.methods])
def test_what_is_drawn_of_a_seam_and_a_hole_is_what_is_told_of_them(method):
    build = with_plies(UNDERBUST, *USUAL[:2], ("interlining", "flannel", {}), USUAL[2], method=method)
    found = plan(build)
    drawn = [part for part in found.sections["seam"].parts if part.what not in ("stitch", "bone")]
    # the machine meets what is drawn over each other at the stitching, but for what hangs loose inside
    met = [part for part in drawn if part.x_mm <= 2 <= part.x_mm + part.width_mm]
    loose = [ply for ply in found.layers.plies if ply.mounted in ("floating", "bagged")]
    turned = METHODS[method].seam == "turned"
    tape = found.layers.seam.plies - sum(1 for part in met) + (0 if turned else len(loose))
    assert tape in (0, 1)
    hole = found.sections["edge"].parts
    cloth = [part for part in hole if part.what not in ("stitch", "bone", "flange", "hole")]
    assert len(cloth) == found.layers.hole.plies
    assert sum(part.height_mm for part in cloth) == pytest.approx(found.layers.hole.mm)


def test_a_version_of_other_panels_than_the_draft_wishes_counts_its_own(today):
    from fuseau.commands.versions import cut_version

    inside = ("interlining", "flannel", {"panels": [1, 2, 3]}), *USUAL
    some = with_plies(UNDERBUST, *inside)
    cut = change(cut_version(some, plan(some), today), [Change(at="draft.panels", value=4)], "cm")
    assert len(cut.current.pattern.panels) == 6
    assert cut.stack.lining_mm == pytest.approx(0.25 + 0.7 * 3 / 6)
    assert plan(cut).layers.take_up_mm == pytest.approx(plan(cut).final.take_up_mm)


def test_more_plies_than_there_can_be_are_refused_in_words():
    many = [*USUAL, *([("overlay", "net", {})] * 6)]
    with pytest.raises(ValidationError) as caught:
        with_plies(UNDERBUST, *many)
    assert "8" in faults(caught.value)[0].sentence
