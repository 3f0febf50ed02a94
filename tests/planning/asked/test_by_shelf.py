"""Design by what there is: each answer held against making it so."""

import datetime

from fuseau.commands.cut import take_way
from fuseau.commands.shelf import put
from fuseau.craft.layout.at_hand import lay_quickly
from fuseau.craft.stock.cut_choices import CutDone
from fuseau.document.build import Build
from fuseau.document.shelf import Shelf
from fuseau.planning.asked.by_shelf import by_shelf, cloth_allows
from fuseau.planning.asked.schools import bones_at_hand, cutting
from fuseau.planning.stages.cut import lay_ask, plan_cut, to_buy_mm
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)
BUILD = edited(built("underbust corset"), draft__panels=3)  # few pieces are laid sooner

COUTIL = {"sort": "cloth", "name": "coutil", "label": "coutil", "length_mm": 2150, "width_mm": 1380}


def applied(here, changes, edits):
    made = take_way(here, changes, edits, TODAY, "cm")
    return made, plan(made)


def stock(*pieces):
    return list(put(Shelf(), pieces, "cm").for_build("b"))


def enough(build, cloth, at_hand):
    planned = plan(build)
    cut = next(one for one in plan_cut(build, planned).cloths if one.cloth == cloth)
    return to_buy_mm(lay_quickly(lay_ask(build, planned, cloth, at_hand, 0)), cut.beside_mm) == 0


def test_the_hem_is_as_deep_as_the_cloth_allows_and_no_deeper():
    at_hand = stock({"sort": "cloth", "name": "coutil", "label": "coutil", "length_mm": 262, "width_mm": 1380})
    found = cloth_allows(BUILD, plan(BUILD), "coutil", at_hand, applied)
    assert found.cloth == "coutil"
    assert found.hem_mm is not None
    made, _ = applied(BUILD, (), [edit.model_dump() for edit in found.edits])
    assert enough(made, "coutil", at_hand)
    deeper = [{**edit.model_dump(), "z_mm": edit.z_mm - 10} for edit in found.edits]
    if deeper and found.hem_mm < 80:
        assert not enough(applied(BUILD, (), deeper)[0], "coutil", at_hand)


def test_too_little_cloth_for_any_hem_says_so():
    at_hand = stock({"sort": "cloth", "name": "coutil", "label": "coutil", "length_mm": 90, "width_mm": 400})
    found = cloth_allows(BUILD, plan(BUILD), "coutil", at_hand, applied)
    assert (found.hem_mm, found.edits) == (None, ())


def test_it_never_says_other_than_the_table_where_a_far_higher_hem_can_not_be_made():
    bodice = built("strapless bodice")  # its hem is no 80 mm higher without losing its waist
    plenty = stock(COUTIL)
    assert enough(bodice, "coutil", plenty)
    found = cloth_allows(bodice, plan(bodice), "coutil", plenty, applied)
    assert found.hem_mm >= 0


def test_what_is_cut_already_is_not_asked_again():
    at_hand = stock(COUTIL)
    done = CutDone(on=TODAY, pieces=8)
    cut = BUILD.model_copy(update={"cut": BUILD.cut.model_copy(update={"done": {"coutil": done}})})
    assert by_shelf(cut, plan(cut), at_hand, applied).cloths == ()


def test_a_little_too_little_cloth_is_enough_for_a_higher_hem():
    asked = lay_ask(BUILD, plan(BUILD), "coutil", stock(COUTIL), 0)
    reach = lay_quickly(asked).sheets[0].reach_mm
    at_hand = stock({**COUTIL, "length_mm": round(reach - 6, 1)})
    assert not enough(BUILD, "coutil", at_hand)
    found = cloth_allows(BUILD, plan(BUILD), "coutil", at_hand, applied)
    assert found.hem_mm < 0
    assert enough(applied(BUILD, (), [edit.model_dump() for edit in found.edits])[0], "coutil", at_hand)


def test_a_busk_that_fits_can_be_taken_and_one_too_long_is_told():
    long = {"sort": "busk", "name": "busk_405_7", "label": "busk, 405 mm", "count": 1}
    short = {"sort": "busk", "name": "busk_165_3", "label": "busk, 165 mm", "count": 1}
    fits, too_long = by_shelf(BUILD, plan(BUILD), stock(long, short), applied).busks
    assert (fits.label, fits.fits, too_long.fits) == ("busk, 165 mm", True, False)
    _, planned = applied(BUILD, fits.changes, ())
    assert planned.busk.length_mm == 165


def test_schools_are_told_by_how_much_of_them_lies_there():
    at_hand = stock({"sort": "bone", "name": "plastic_6", "label": "plastic", "length_mm": 5000, "count": 2})
    schools = by_shelf(BUILD, plan(BUILD), at_hand, applied).schools
    assert schools[0].name == "plastic"
    made, planned = applied(BUILD, schools[0].changes, ())
    plans = cutting(made, planned, bones_at_hand(at_hand))
    from_shelf = sum(len(piece.bones) for one in plans for piece in one.pieces if piece.source == "shelf")
    assert schools[0].there == from_shelf > 0
    assert schools[0].of == planned.boning.count + len(planned.modesty.bones_mm)
    assert next(one for one in schools if one.name == "all steel").there == 0


def test_before_a_version_is_cut_the_number_of_panels_is_told_too():
    draft = BUILD
    assert not draft.versions
    at_hand = stock({"sort": "cloth", "name": "coutil", "label": "coutil", "length_mm": 300, "width_mm": 1380})
    found = cloth_allows(draft, plan(draft), "coutil", at_hand, applied)
    for count in found.panels:
        assert enough(edited(draft, draft__panels=count), "coutil", at_hand)
    assert set(found.panels) <= set(range(4, 9))


def test_without_a_pattern_the_shelf_gives_nothing():
    found = by_shelf(Build(), plan(Build()), (), applied)
    assert (found.busks, found.schools, found.cloths) == ((), (), ())
