"""Not enough of a cloth: each way out is held against laying it out anew, and taken it is a decision."""

import datetime

import pytest
from shapely.affinity import scale, translate
from shapely.geometry import Polygon

from fuseau.commands.cut import cut_cloth, not_cut, pin, take_way
from fuseau.commands.shelf import put, put_back, reserve, use_up
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.layout.at_hand import check_pinned, fallen, lay_on_hand, lay_quickly
from fuseau.craft.layout.nesting import Pinned
from fuseau.document.shelf import Shelf
from fuseau.planning.asked.ways_out import ways_out
from fuseau.planning.stages.cut import lay_ask, pieces_of, plan_cut, to_buy_mm, uses_of
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)
BUILD = edited(built("underbust corset"), draft__panels=3)  # few pieces are laid sooner
SCANT_MM = 520  # enough for the pieces, not for the binding


def shelf_piece(cloth):
    return {"sort": "cloth", "name": cloth, "label": cloth, "width_mm": 1380, "cost": 10}


def shelf_of(cloth, long_mm):
    return put(Shelf(), [{**shelf_piece(cloth), "length_mm": long_mm}], "cm")


def at_hand(shelf):
    return list(shelf.for_build("b"))


def strips(build, cloth):
    return next(one.strips_mm for one in plan_cut(build, plan(build)).cloths if one.cloth == cloth)


def applied(here, changes, edits):
    made = take_way(here, changes, edits, TODAY, "cm")
    return made, plan(made)


@pytest.fixture(scope="module")
def lacking():
    shelf = shelf_of("sateen", SCANT_MM)
    return ways_out(BUILD, plan(BUILD), "sateen", at_hand(shelf), applied)


def test_the_ways_are_those_of_a_maker_and_each_says_what_it_costs(lacking):
    say = Words("cm")
    said = {say(message) for way in lacking.ways for message in way.said}
    assert any("binding of coutil" in one for one in said)
    assert any("joins, in strips of" in one for one in said)
    assert lacking.short_mm > 500
    for way in lacking.ways:
        assert len(way.said) == len(way.costs) in (1, 2)
        assert all(say(cost) for cost in way.costs)
        assert way.saves_mm == pytest.approx(lacking.short_mm - way.short_mm)
        assert way.fits == (way.short_mm <= 0)


def test_a_way_that_fits_fits_when_it_is_taken(lacking):
    fitting = [way for way in lacking.ways if way.fits]
    assert fitting
    for way in fitting[:2]:
        made, planned = applied(BUILD, way.changes, [edit.model_dump() for edit in way.edits])
        laying = lay_on_hand(lay_ask(made, planned, "sateen", at_hand(shelf_of("sateen", SCANT_MM)), 1))
        assert to_buy_mm(laying, strips(made, "sateen")) == 0


def test_a_pair_is_told_where_it_does_more_than_either():
    shelf = shelf_of("sateen", 240)
    found = ways_out(BUILD, plan(BUILD), "sateen", at_hand(shelf), applied)
    alone = max(way.saves_mm for way in found.ways if len(way.said) == 1)
    pairs = [way for way in found.ways if len(way.said) == 2]
    assert pairs
    assert all(way.fits or way.saves_mm > alone for way in pairs)


def test_where_there_is_enough_nothing_has_to_help():
    found = ways_out(BUILD, plan(BUILD), "coutil", at_hand(shelf_of("coutil", 2000)), applied)
    assert (found.short_mm, found.ways) == (0, ())
    with pytest.raises(Unmakeable):
        ways_out(BUILD, plan(BUILD), "velvet", (), applied)


def test_a_join_cuts_a_panel_in_two_that_overlap_by_their_allowances():
    joined = edited(BUILD, layers__plies__0__joins=[{"panel": 2, "z_mm": 0}])
    whole = {one.key: one for one in pieces_of(BUILD, plan(BUILD))}
    parts = {one.key: one for one in pieces_of(joined, plan(joined))}
    assert set(parts) - set(whole) == {"1 lining 2 lower", "1 lining 2 upper"}
    assert set(whole) - set(parts) == {"1 lining 2"}
    lower, upper = parts["1 lining 2 lower"], parts["1 lining 2 upper"]
    more = joined.practice.join_allowance_mm
    assert max(z for _, z in lower.outline) == pytest.approx(more)
    assert min(z for _, z in upper.outline) == pytest.approx(-more)
    assert max(z for _, z in lower.stitch) == pytest.approx(0)
    wide = whole["1 lining 2"].area_mm2
    assert wide < lower.area_mm2 + upper.area_mm2 < wide * 1.2
    near_the_edge = edited(BUILD, layers__plies__0__joins=[{"panel": 2, "z_mm": 400}])
    assert {one.key for one in pieces_of(near_the_edge, plan(near_the_edge))} == set(whole)


def test_facing_modesty_and_binding_of_another_cloth_are_cut_from_it():
    build = edited(BUILD, cut__facing="coutil", cut__modesty="coutil", cut__binding="coutil")
    by_key = {one.key: one for one in pieces_of(build, plan(build))}
    assert by_key["3 fashion facing CF"].cloth == "coutil"
    assert all(one.cloth == "coutil" for key, one in by_key.items() if "modesty" in key)
    cloths = {one.cloth: one for one in plan_cut(build, plan(build)).cloths}
    assert cloths["sateen"].strips_mm == 0
    assert cloths["coutil"].strips_mm > 0


def test_a_binding_in_more_joins_is_cut_among_the_pieces_and_is_long_enough():
    build = edited(BUILD, cut__binding_joins=7)
    planned = plan(build)
    strip = next(one for one in pieces_of(build, planned) if one.what == "binding")
    assert strip.count == 8
    wanted = sum(one.length_mm for one in plan_cut(build, planned).strips if one.cloth)
    each = max(z for _, z in strip.outline) - max(x for x, _ in strip.outline)
    lost = 2 * build.practice.join_allowance_mm * 2**0.5
    assert strip.count * each - 7 * lost == pytest.approx(wanted + max(x for x, _ in strip.outline))
    assert all(one.strips_mm == 0 for one in plan_cut(build, planned).cloths)


def test_what_was_cut_leaves_its_rests_and_can_be_put_back():
    shelf = shelf_of("coutil", 2000)
    planned = plan(BUILD)
    laying = lay_quickly(lay_ask(BUILD, planned, "coutil", at_hand(shelf), 0))
    cut = cut_cloth(BUILD, "coutil", laying, strips(BUILD, "coutil"), shelf, "b", TODAY)
    done = cut.cut.done["coutil"]
    assert cut.cut.done["coutil"].pieces == len(laying.sheets[0].placed)
    after = use_up(shelf, "b", "coutil", done)
    length = after.piece("s1")
    assert length.length_mm == pytest.approx(2000 - laying.sheets[0].reach_mm - 5, abs=0.1)
    assert length.cost < 10
    assert all(piece.outline and piece.note == "left over" for piece in after.pieces[1:])
    assert put_back(after, "b", "coutil").pieces == shelf.pieces
    assert not_cut(cut, "coutil").cut == BUILD.cut
    for step in (lambda: cut_cloth(cut, "coutil", laying, 0, shelf, "b", TODAY), lambda: not_cut(BUILD, "coutil")):
        with pytest.raises(Unmakeable):
            step()


def test_a_short_rest_of_a_length_stays_where_others_have_reserved_of_it():
    planned = plan(BUILD)
    asked = lay_ask(BUILD, planned, "coutil", at_hand(shelf_of("coutil", 5000)), 0)
    reach = lay_quickly(asked).sheets[0].reach_mm
    for others, kept in ((30.0, True), (0.0, False)):
        shelf = shelf_of("coutil", round(reach + 5 + 35, 1))
        shelf = reserve(shelf, "other", "s1", others) if others else shelf
        laying = lay_quickly(lay_ask(BUILD, planned, "coutil", at_hand(shelf), 0))
        assert laying.enough
        done = cut_cloth(BUILD, "coutil", laying, 0.0, shelf, "b", TODAY).cut.done["coutil"]
        after = use_up(shelf, "b", "coutil", done)
        assert after.has("s1") == kept
        assert after.reserved_of("s1" if kept else "s2", "other") == others


def test_strips_are_cut_beside_the_pieces_of_the_roomiest_length_or_bought():
    planned = plan(BUILD)
    shelf = put(shelf_of("sateen", 300), [{**shelf_piece("sateen"), "length_mm": 2500}], "cm")
    laying = lay_quickly(lay_ask(BUILD, planned, "sateen", at_hand(shelf), 0))
    uses = uses_of(laying, 800.0, shelf.lengths)
    assert uses["s2"].beside_mm == 800
    assert sum(use.beside_mm for use in uses.values()) == 800
    short = shelf_of("sateen", SCANT_MM)
    lacking = uses_of(lay_quickly(lay_ask(BUILD, planned, "sateen", at_hand(short), 0)), 800.0, short.lengths)
    assert all(use.beside_mm == 0 for use in lacking.values())


def test_a_scrap_with_square_corners_is_taken_whole_and_what_lies_beside_is_no_rest():
    planned = plan(BUILD)
    square = {
        "sort": "cloth",
        "name": "sateen",
        "label": "sateen",
        "outline": ((0, 0), (2500, 0), (2500, 1380), (0, 1380)),
    }
    shelf = put(Shelf(), [square], "cm")
    laying = lay_quickly(lay_ask(BUILD, planned, "sateen", at_hand(shelf), 0))
    uses = uses_of(laying, 800.0, shelf.lengths)
    assert uses["s1"].amount == 1
    done = cut_cloth(BUILD, "sateen", laying, 800.0, shelf, "b", TODAY).cut.done["sateen"]
    long = max(max(x for x, _ in rest.outline) - min(x for x, _ in rest.outline) for rest in done.used[0].rests)
    assert long <= 2500 - laying.sheets[0].reach_mm - 800 + 1


def test_a_cloth_cut_on_the_fold_leaves_what_lies_outside_of_both_halves():
    build = edited(BUILD, cut__fold=["coutil"])
    shelf = shelf_of("coutil", 900)
    laying = lay_quickly(lay_ask(build, plan(build), "coutil", at_hand(shelf), 0))
    done = cut_cloth(build, "coutil", laying, 0.0, shelf, "b", TODAY).cut.done["coutil"]
    half = 1380 / 2
    drawn = [Polygon(one.outline) for one in laying.sheets[0].placed]
    pieces = [translate(one, 0, half) for one in drawn] + [
        scale(translate(one, 0, half), 1, -1, origin=(0, half)) for one in drawn
    ]
    used = sum(one.area for one in pieces)
    rests = [Polygon(rest.outline).area for rest in done.used[0].rests if rest.outline]
    assert used + sum(rests) <= laying.sheets[0].reach_mm * 1380 + 200
    assert all(one.bounds[1] >= -0.3 and one.bounds[3] <= 1380.3 for one in pieces)


def test_a_piece_put_off_its_cloth_or_over_another_is_refused():
    def asked(*pins):
        build = pin(BUILD, "coutil", pins, "cm")
        return lay_ask(build, plan(BUILD), "coutil", at_hand(shelf_of("coutil", 900)), 1)

    good = Pinned(sheet="s1", key="2 strength 1", x_mm=400, y_mm=400)
    check_pinned(asked(good))
    check_pinned(asked(good.model_copy(update={"sheet": "new"})))
    gone = Pinned(sheet="s1", key="2 strength 77", x_mm=0, y_mm=0)
    check_pinned(asked(gone))  # a piece that is not cut any more hinders nobody
    for pins, code in (
        ((good.model_copy(update={"x_mm": 5000}),), "cut.pinned_off"),
        ((good.model_copy(update={"sheet": "new", "y_mm": -900}),), "cut.pinned_off"),
        ((good, good.model_copy(update={"key": "2 strength 2", "x_mm": 410})), "cut.pinned_over"),
        ((good, good.model_copy(update={"x_mm": 650})), "cut.pinned_twice"),
    ):
        with pytest.raises(Unmakeable) as told:
            check_pinned(asked(*pins))
        assert told.value.message.code == code
    laid = lay_quickly(asked(good))
    there = [(one.key, one.x_mm, one.y_mm) for one in laid.sheets[0].placed]
    assert ("2 strength 1", 400, 400) in there


def test_what_can_not_lie_where_it_was_put_any_more_is_laid_anew_and_told():
    here = Pinned(sheet="s1", key="2 strength 1", x_mm=400, y_mm=400)
    gone = Pinned(sheet="s9", key="2 strength 2", x_mm=10, y_mm=10)
    onto = Pinned(sheet="s1", key="2 strength 3", x_mm=405, y_mm=400)  # beside it when its pattern was narrower
    build = pin(BUILD, "coutil", (here, gone, onto), "cm")
    ask = lay_ask(build, plan(BUILD), "coutil", at_hand(shelf_of("coutil", 900)), 0)
    laid = lay_quickly(ask)
    assert fallen(ask) == {gone, onto}
    assert set(laid.let_go) == {"2 strength 2", "2 strength 3"}
    placed = [one for sheet in laid.sheets for one in sheet.placed] + list(laid.marker.placed)
    assert {gone.key, onto.key} <= {one.key for one in placed}
    for sheet in laid.sheets:
        shapes = [Polygon(one.outline) for one in sheet.placed]
        assert all(one.intersection(other).area < 1 for i, one in enumerate(shapes) for other in shapes[:i])
