"""Markers: every piece as often as it must, none over another or off the cloth, true to grain and nap (model, 11)."""

import pytest
from hypothesis import Phase, given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon

from fuseau.craft.layout.marker import MarkerAsk, lay, wrong_with
from fuseau.craft.layout.placed import on_cloth, orientations
from tests.craft.layout.cloth_pieces import piece, wedges


def lengths(polygon):
    return sorted(round(float(one), 3) for one in (polygon.area, polygon.length))


def test_a_piece_lies_with_its_top_along_the_cloth_and_mirrored_it_is_the_other_one_of_the_pair():
    up = on_cloth(piece().outline, 0, False)
    assert up.bounds == pytest.approx((0, -90, 220, 0))
    other = on_cloth(piece().outline, 0, True)
    assert other.bounds == pytest.approx((0, 0, 220, 90))
    assert lengths(up) == lengths(other)
    turned = on_cloth(piece().outline, 90, False)  # its grain across
    assert turned.bounds[3] - turned.bounds[1] == pytest.approx(220)


def test_what_has_a_way_up_is_never_turned_round():
    assert 180 in orientations(piece())
    assert set(orientations(piece(one_way=True))) == {0, 2, 358}
    assert orientations(piece(one_way=True, tolerance_deg=0)) == (0,)


@settings(max_examples=3, deadline=None, phases=[Phase.generate])  # each takes a second: no shrinking
@given(
    st.lists(wedges, min_size=1, max_size=5), st.booleans(), st.booleans(), st.sampled_from(["along", "across", "bias"])
)
def test_whatever_is_laid_lies_there_as_often_as_it_must_and_nothing_lies_on_another(outlines, fold, one_way, grain):
    pieces = tuple(
        piece(f"p{i}", outline, one_way=one_way, grain=grain, count=2 + 2 * (i == 0))
        for i, outline in enumerate(outlines)
    )
    found = lay(MarkerAsk(pieces, 900, fold=fold, seconds=1))
    assert wrong_with(found) == []
    assert found.too_wide == ()
    for one in pieces:
        here = [placed for placed in found.placed if placed.key == one.key]
        assert len(here) == (one.count // 2 if fold else one.count)
        assert sum(placed.mirrored for placed in here) == (0 if fold else one.count // 2)
        for placed in here:
            assert Polygon(placed.outline).area == pytest.approx(one.area_mm2, rel=1e-3)
            off = min(abs((placed.angle_deg - way + 180) % 360 - 180) for way in ((0,) if one_way else (0, 180)))
            assert off <= one.tolerance_deg + 0.01
    assert found.length_mm >= found.bound_mm - 1
    assert found.used_share == pytest.approx(found.bound_mm / found.length_mm, rel=1e-3)


def test_a_piece_wider_than_the_cloth_is_named_and_the_others_are_laid():
    wide = piece("wide", ((0, 0), (0, 100), (700, 100), (700, 0)), one_way=True)
    found = lay(MarkerAsk((piece(), wide), 600, seconds=1))
    assert found.too_wide == ("wide",)
    assert {one.key for one in found.placed} == {"a"}
    assert lay(MarkerAsk((wide,), 600, seconds=1)).placed == ()


def test_on_the_fold_a_single_piece_is_cut_once_too_often_and_that_is_said():
    single = piece("single", count=1, mirrored=False)
    found = lay(MarkerAsk((piece(), single), 900, fold=True, seconds=1))
    assert found.spare == ("single",)
    assert [one.key for one in sorted(found.placed, key=lambda one: one.key)] == ["a", "single"]


def test_progress_and_better_markers_are_told_while_it_works():
    shares, shown = [], []
    pieces = tuple(piece(f"p{i}", ((0, 0), (5 * i, 200), (80, 210), (90 + 5 * i, 0))) for i in range(6))
    found = lay(MarkerAsk(pieces, 700, seconds=1), tell=shares.append, show=shown.append)
    assert shares == sorted(shares)
    assert 0 < shares[-1] < 1
    assert all(wrong_with(one) == [] for one in shown)
    assert all(one.length_mm >= found.length_mm - 1 for one in shown)
