"""The shelf: nothing is reserved twice, nothing goes below zero, and what was cut can be put back."""

import datetime

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import ValidationError

from fuseau.commands.shelf import arrive, cancel, let_go, place_order, put, put_back, reserve, rewrite, take_off, use_up
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.stock.articles import Article
from fuseau.craft.stock.cut_choices import CutDone, Used
from fuseau.document.shelf import OrderLine, Shelf
from fuseau.wording.faults import faults

TODAY = datetime.date(2026, 11, 26)
COUTIL = {"sort": "cloth", "name": "coutil", "label": "coutil", "length_mm": 2000, "width_mm": 1380}
GROMMETS = {"sort": "grommets", "name": "grommet_5", "label": "grommets", "count": 40, "lot": "3"}
SCRAP = {"sort": "cloth", "name": "sateen", "label": "sateen", "outline": ((0, 0), (300, 0), (280, 200), (0, 180))}


def stocked(*pieces):
    return put(Shelf(), pieces or (COUTIL, GROMMETS, SCRAP), "cm")


def refused(step):
    with pytest.raises((Unmakeable, ValidationError)) as told:
        step()
    error = told.value
    return error.message.code if isinstance(error, Unmakeable) else faults(error)[0].sentence


def test_pieces_are_written_in_her_words_and_numbered():
    shelf = put(Shelf(), [{**COUTIL, "length_mm": "2.5 m", "width_mm": "138"}], "cm")
    assert (shelf.pieces[0].id, shelf.pieces[0].length_mm, shelf.pieces[0].width_mm) == ("s1", 2500, 1380)
    assert put(shelf, [GROMMETS], "cm").pieces[1].id == "s2"
    assert rewrite(shelf, "s1", {"length_mm": "80 cm", "where": "roll"}, "cm").pieces[0].length_mm == 800


@pytest.mark.parametrize(
    ("piece", "at", "said"),
    [
        ({**GROMMETS, "count": -3}, "count", "How many there are goes from 1"),
        ({**COUTIL, "length_mm": 0}, "length_mm", "can't be right"),
        ({**COUTIL, "length_mm": None}, "length_mm", "How long is it?"),
        ({**COUTIL, "width_mm": None}, "width_mm", "How wide"),
        ({**COUTIL, "count": 2}, "count", "each piece of cloth by itself"),
        ({**SCRAP, "outline": ((0, 0), (300, 300), (300, 0), (0, 300))}, "outline", "crosses itself"),
        ({**GROMMETS, "outline": SCRAP["outline"]}, "outline", "Only a piece of cloth"),
        ({**SCRAP, "flaws": (((0, 0), (1, 0), (0, 1)),)}, "flaws.0", "smaller than a thumb"),
        ({**GROMMETS, "label": ""}, "label", "Write something"),
    ],
)
def test_what_can_not_be_is_refused_at_its_field(piece, at, said):
    with pytest.raises(ValidationError) as told:
        stocked(COUTIL, piece)
    fault = faults(told.value)[0]
    assert fault.at == f"pieces.1.{at}"
    assert said in fault.sentence


def test_two_builds_can_not_reserve_the_same():
    shelf = reserve(stocked(), "a", "s2", 30)
    assert shelf.free("s2") == 10
    assert shelf.free("s2", "a") == 40
    assert "so much is not left" in refused(lambda: reserve(shelf, "b", "s2", 11))
    assert reserve(shelf, "b", "s2", None).free("s2") == 0
    both = reserve(shelf, "b", "s2", 10)
    assert refused(lambda: reserve(both, "c", "s2", None)) == "shelf.none_left"
    assert reserve(both, "a", "s2", 0).free("s2") == 30
    assert let_go(both, ["a", "b"]).reserved == ()
    assert reserve(stocked(), "a", "s3", None).reserved[0].amount == 1  # a scrap is taken whole


def test_what_is_reserved_is_neither_taken_off_nor_written_down_to_less():
    shelf = reserve(stocked(), "a", "s1", 1500)
    assert refused(lambda: take_off(shelf, "s1")) == "shelf.reserved"
    assert "so much is not left" in refused(lambda: rewrite(shelf, "s1", {"length_mm": 1000}, "cm"))
    assert not take_off(shelf, "s2").has("s2")
    assert refused(lambda: take_off(shelf, "s99")) == "shelf.gone"


def test_cutting_uses_up_and_puts_the_rests_back_and_can_be_undone():
    shelf = reserve(reserve(stocked(), "a", "s1", 700), "b", "s1", 900)
    coutil, scrap = shelf.piece("s1"), shelf.piece("s3")
    rest = coutil.model_copy(update={"length_mm": 1300.0})
    left = scrap.model_copy(update={"id": "s4", "outline": ((0, 0), (150, 0), (150, 150))})
    done = CutDone(on=TODAY, pieces=12, used=(Used(stock=coutil, rests=(rest,)), Used(stock=scrap, rests=(left,))))
    cut = use_up(shelf, "a", "coutil", done)
    assert cut.piece("s1").length_mm == 1300
    assert [one.build for one in cut.reserved] == ["b"]  # who else had reserved of the length keeps it
    assert not cut.has("s3")
    assert cut.piece("s4").outline == left.outline
    assert put(cut, [GROMMETS], "cm").pieces[-1].id == "s5"
    back = put_back(cut, "a", "coutil")
    assert {piece.id: piece for piece in back.pieces} == {piece.id: piece for piece in shelf.pieces}
    assert set(back.reserved) == set(shelf.reserved)  # and kept for whom it was
    assert put_back(reserve(cut, "a", "s1", 100), "a", "coutil").reserved_of("s1", "a") == 700
    assert refused(lambda: use_up(cut, "c", "sateen", done)) == "shelf.changed"
    assert refused(lambda: put_back(take_off(cut, "s4"), "a", "coutil")) == "shelf.rest_used"
    assert put_back(shelf, "a", "velvet") == shelf


def test_nothing_is_used_up_that_others_have_reserved_of():
    shelf = reserve(stocked(), "b", "s1", 900)
    all_of_it = CutDone(on=TODAY, pieces=1, used=(Used(stock=shelf.piece("s1")),))
    assert "not on the shelf any more" in refused(lambda: use_up(shelf, "a", "coutil", all_of_it))


def ordered(shelf, builds=("a",), packs=2):
    lace = Article(sort="lace", name="cord_4", label="cord, 4 mm", measure="length")
    line = OrderLine(article=lace, packs=packs, pack=5000, price=4.5, builds=builds)
    return place_order(shelf, "Weir Street Cloth", [line], TODAY, TODAY + datetime.timedelta(days=4))


def test_an_order_arrives_on_the_shelf_for_whom_it_was_ordered():
    shelf = arrive(ordered(Shelf()), "o1", TODAY, where="ribbon box")
    (piece,) = shelf.pieces
    assert (piece.name, piece.length_mm, piece.where, piece.cost) == ("cord_4", 10_000, "ribbon box", 9.0)
    assert [(one.build, one.amount) for one in shelf.reserved] == [("a", 10_000)]
    assert shelf.orders[0].state == "arrived"
    assert refused(lambda: arrive(shelf, "o1", TODAY)) == "shelf.not_waiting"
    assert arrive(ordered(Shelf(), builds=("a", "b")), "o1", TODAY).reserved == ()


def test_an_order_that_comes_short_says_so_and_more_can_not_come_than_was_ordered():
    short = arrive(ordered(Shelf()), "o1", TODAY, came=[5000])
    assert short.orders[0].state == "short"
    assert short.pieces[0].length_mm == 5000
    assert arrive(ordered(Shelf()), "o1", TODAY, came=[0]).pieces == ()
    assert refused(lambda: arrive(ordered(Shelf()), "o1", TODAY, came=[20_000])) == "shelf.more_came"
    off = cancel(ordered(Shelf()), "o1")
    assert refused(lambda: cancel(off, "o1")) == "shelf.not_waiting"
    assert refused(lambda: arrive(off, "o7", TODAY)) == "shelf.no_order"


steps = st.lists(
    st.tuples(st.sampled_from(["a", "b", "c"]), st.sampled_from(["s1", "s2", "s3"]), st.floats(0, 2500) | st.none()),
    max_size=20,
)


@given(steps)
def test_whatever_is_reserved_nothing_goes_below_zero(wishes):
    shelf = stocked()
    for build, stock, amount in wishes:
        try:
            shelf = reserve(shelf, build, stock, amount)
        except (Unmakeable, ValidationError):
            continue
        for piece in shelf.pieces:
            assert shelf.reserved_of(piece.id) <= piece.amount + 0.5
            assert shelf.free(piece.id) >= -0.5
            assert all(amount >= 0 for _, amount in shelf.for_build(build))
