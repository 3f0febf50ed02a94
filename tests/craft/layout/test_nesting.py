"""Pieces on sheets of any shape: never over each other, off the cloth or over a flaw; exact where it is tight."""

import pytest
from hypothesis import Phase, given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon

from fuseau.craft.base.practice import Practice
from fuseau.craft.layout.at_hand import LayAsk, lay_on_hand, lay_quickly, surely_short
from fuseau.craft.layout.nesting import NestAsk, Pinned, nest
from fuseau.craft.layout.scraps import outline_fault, rests_of
from tests.craft.layout.cloth_pieces import box, piece, sheet, wedges


def check_lying(laid, ask_pieces, separation=2.0):
    """What holds of every layout: clear of each other, of flaws and of edges, true to grain and nap."""
    by_key = {one.key: one for one in ask_pieces}
    for one in laid:
        shapes = [Polygon(placed.outline) for placed in one.placed]
        sound = one.sheet.sound.buffer(0.1)
        for placed, shape in zip(one.placed, shapes, strict=True):
            assert shape.area == pytest.approx(by_key[placed.key].area_mm2, rel=1e-3)
            assert sound.covers(shape)
            lean = min(abs(placed.angle_deg), abs(abs(placed.angle_deg) - 180))
            assert lean <= by_key[placed.key].tolerance_deg + 1e-9
            if by_key[placed.key].one_way:
                assert abs(placed.angle_deg) <= by_key[placed.key].tolerance_deg + 1e-9
        for i, shape in enumerate(shapes):
            for other in shapes[:i]:
                assert shape.distance(other) >= separation - 0.2


def count_of(laid, marker=None):
    found = {}
    for placed in [placed for one in laid for placed in one.placed] + list(marker.placed if marker else ()):
        found[placed.key] = found.get(placed.key, 0) + 1
    return found


def test_a_piece_as_large_as_its_sheet_fits_and_one_a_millimetre_larger_does_not():
    exact = piece(outline=box(100, 300), count=1, mirrored=False)
    assert nest(NestAsk((exact,), (sheet(long=300, wide=100),), seconds=0)).fits
    found = nest(NestAsk((exact,), (sheet(long=299, wide=100),), seconds=0))
    assert [(one.key, one.count, one.nowhere) for one in found.unlaid] == [("a", 1, True)]


def test_by_area_it_would_fit_but_it_does_not_and_that_is_said():
    long_scrap = sheet(long=1000, wide=80)  # twice the area of the piece, and too narrow
    found = nest(NestAsk((piece(outline=box(100, 300), count=1),), (long_scrap,), seconds=0))
    assert not found.fits


def test_pieces_go_round_a_flaw_and_those_that_she_put_down_stay():
    cloth = sheet(long=500, wide=300, flaws=(((240, 100), (260, 100), (260, 200), (240, 200)),))
    parts = (piece("a", box(80, 220), mirrored=False), piece("b", box(60, 200), mirrored=False))
    pin = Pinned(sheet="s", key="a", x_mm=20, y_mm=290)
    found = nest(NestAsk(parts, (cloth,), (pin,), seconds=0))
    assert found.fits
    check_lying(found.sheets, parts)
    there = [one for one in found.sheets[0].placed if (one.x_mm, one.y_mm) == (20, 290)]
    assert [one.key for one in there] == ["a"]


def test_small_scraps_are_used_up_before_large_ones():
    found = nest(
        NestAsk(
            (piece("p", box(50, 60), count=1),), (sheet("big", long=900), sheet("small", long=80, wide=70)), seconds=0
        )
    )
    assert [len(one.placed) for one in found.sheets] == [0, 1]


@settings(max_examples=12, deadline=None, phases=[Phase.generate])
@given(
    st.lists(wedges, min_size=1, max_size=4),
    st.lists(st.tuples(st.floats(120, 500), st.floats(100, 400), st.floats(0, 60)), min_size=1, max_size=3),
    st.booleans(),
    st.sampled_from(["along", "across", "bias"]),
    st.booleans(),
)
def test_whatever_is_laid_lies_clear_and_nothing_is_lost(outlines, scraps, one_way, grain, flawed):
    parts = tuple(piece(f"p{i}", one, one_way=one_way, grain=grain) for i, one in enumerate(outlines))
    sheets = tuple(
        sheet(
            f"s{i}",
            ((0, 0), (long, slant), (long - slant, wide), (slant / 2, wide)),
            flaws=(((60, 40), (80, 40), (70, 70)),) if flawed else (),
        )
        for i, (long, wide, slant) in enumerate(scraps)
    )
    found = nest(NestAsk(parts, sheets, seconds=0.2))
    check_lying(found.sheets, parts)
    counts = count_of(found.sheets)
    for one in parts:
        unlaid = sum(left.count for left in found.unlaid if left.key == one.key)
        assert counts.get(one.key, 0) + unlaid == 2
    for one in found.sheets:
        left = rests_of(one.sheet.outline, one.sheet.flaws, [placed.outline for placed in one.placed], Practice())
        shapes = [Polygon(outline) for outline in left]
        assert all(outline_fault(outline) is None for outline in left)
        used = sum(Polygon(placed.outline).area for placed in one.placed)
        kept = sum(shape.area for shape in shapes)
        assert used + kept <= one.sheet.whole.area + 0.1 * one.sheet.whole.length  # outlines are told to 0.1 mm
        for shape in shapes:
            assert one.sheet.sound.buffer(0.2).covers(shape)
            assert all(shape.buffer(-0.3).disjoint(Polygon(placed.outline)) for placed in one.placed)


def test_what_there_is_comes_first_and_only_the_rest_is_bought():
    parts = (piece("a", box(100, 300)), piece("b", box(90, 280)), piece("c", box(40, 40), count=1))
    scrap = sheet("scrap", ((0, 0), (330, 0), (310, 120), (0, 110)))
    length = sheet("length", long=310, wide=230)
    laid = lay_on_hand(LayAsk(parts, (scrap, length), 1400, seconds=1))
    check_lying(laid.sheets, parts)
    assert count_of(laid.sheets, laid.marker) == {"a": 2, "b": 2, "c": 1}
    assert len(laid.sheets[0].placed) >= 1
    assert not laid.enough
    assert laid.short_mm < 310
    plenty = sheet("plenty", long=900, wide=1400)
    assert lay_on_hand(LayAsk(parts, (scrap, length, plenty), 1400, seconds=1)).enough


@pytest.mark.parametrize("fold", [False, True])
def test_the_pair_of_what_lies_on_a_scrap_is_still_cut_the_other_way_round(fold):
    slanting = piece("a", ((0, 0), (0, 200), (60, 220), (90, 0)))
    scrap = sheet("scrap", ((0, 0), (230, 0), (228, 95), (0, 93)))  # takes one of them
    laid = lay_quickly(LayAsk((slanting,), (scrap,), 1400, fold=fold))
    (on_scrap,) = laid.sheets[0].placed
    if fold:
        assert laid.marker.spare == ("a",)  # the fold gives two where one is left to cut
    else:
        (bought,) = laid.marker.placed
        assert bought.mirrored != on_scrap.mirrored


def test_a_length_on_the_fold_gives_both_of_a_pair():
    parts = (piece("a", box(100, 300)), piece("b", box(80, 200), mirrored=False))
    laid = lay_quickly(LayAsk(parts, (sheet("l", long=520, wide=300),), 1400, fold=True))
    assert laid.enough
    assert all(max(y for _, y in one.outline) <= 150.2 for one in laid.sheets[0].placed)


def test_what_is_pinned_on_new_cloth_stays_and_the_rest_is_laid_round_it():
    parts = (piece("a", box(100, 300)), piece("b", box(90, 280)))
    pin = Pinned(sheet="new", key="b", mirrored=False, x_mm=50, y_mm=600)
    laid = lay_quickly(LayAsk(parts, (), 1400, pinned=(pin,)))
    assert ("b", 50, 600) in [(one.key, one.x_mm, one.y_mm) for one in laid.marker.placed]
    assert count_of((), laid.marker) == {"a": 2, "b": 2}
    assert laid.marker.length_mm < 420


@settings(max_examples=25)
@given(st.lists(wedges, min_size=1, max_size=5), st.booleans(), st.floats(120, 900), st.floats(200, 3000))
def test_what_is_found_at_once_to_be_ample_lies_as_well_as_what_was_tried(outlines, fold, wide, long):
    parts = tuple(piece(f"p{i}", outline) for i, outline in enumerate(outlines))
    ask = LayAsk(parts, (sheet("l", long=long, wide=wide),), 1400, fold=fold)
    laid = lay_quickly(ask)
    if surely_short(ask):
        assert not laid.enough
    if not fold:
        check_lying(laid.sheets, parts)
        assert count_of(laid.sheets, laid.marker) == {one.key: one.count for one in parts}
    names = [(one.key, one.number) for one in laid.sheets[0].placed]
    assert len(set(names)) == len(names)
