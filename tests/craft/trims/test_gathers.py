"""Frills, tiers and circles against what is worked out by hand."""

import math

import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from fuseau.craft.trims.choices import Tier
from fuseau.craft.trims.gathers import circle, fullness_at_hand, sector_size, tier_cut

SIZES = {"seam_mm": 10, "hem_mm": 10, "heading_mm": 0}


def tier(along=800, depth=80, full=2.0, usable=1100, **more):
    given_ = {**SIZES, "round_": False, **more}
    return tier_cut(along, Tier(depth_mm=depth, fullness=full), usable, **given_)


def test_a_frill_of_twice_its_length_out_of_a_cloth_of_a_metre_ten():
    found = tier()  # 1600 mm out of strips of 1080 each: two of 800 and their seams
    assert (found.joined_mm, found.strips, found.strip_mm, found.joins) == (1600, 2, 820, 1)
    assert (found.high_mm, found.cloth_mm) == (110, 220)
    assert tier(round_=True).joins == 2
    assert tier(full=1.35).strips == 1  # exactly 1080
    along = tier(along_the_cloth=True)
    assert (along.strips, along.joins, along.cloth_mm) == (1, 0, 1620)
    assert tier(full=1.4).skimpy
    assert not tier(full=1.5).skimpy


@given(st.floats(50, 3000), st.floats(1, 6), st.floats(300, 1600), st.floats(10, 1200))
def test_strips_joined_give_the_length_and_each_comes_out_of_the_cloth(along, full, usable, depth):
    found = tier(along, depth, full, usable)
    assert found.strips * found.strip_mm - 2 * 10 * found.strips == pytest.approx(found.joined_mm)
    assert found.strip_mm <= usable + 1e-6
    if found.strips > 1:
        assert found.joined_mm > (found.strips - 1) * (usable - 20) - 1e-3


@given(st.floats(200, 2000), st.floats(300, 1600), st.floats(20, 400), st.floats(100, 6000))
def test_the_fullness_of_what_is_at_hand_takes_no_more_than_that(along, usable, depth, at_hand):
    full = fullness_at_hand(along, at_hand, usable, depth, **SIZES)
    least = tier(along, depth, 1, usable).cloth_mm
    assert (least <= at_hand + 1e-3) == (full >= 1 - 1e-6)
    assume(full >= 1)
    assert tier(along, depth, min(full, 6), usable).cloth_mm <= at_hand + 1e-3


@given(st.floats(200, 2000), st.floats(300, 1600), st.floats(20, 400), st.floats(100, 6000))
def test_strips_along_a_piece_at_hand_come_out_of_it(along, usable, depth, at_hand):
    full = fullness_at_hand(along, at_hand, usable, depth, along_the_cloth=True, **SIZES)
    assume(full >= 1)
    cut = tier(along, depth, min(full, 6), usable, along_the_cloth=True, longest_mm=at_hand)
    assert cut.strip_mm <= at_hand + 1e-3
    assert cut.strips * cut.high_mm <= usable + 1e-3
    assert cut.cloth_mm <= at_hand + 1e-3


def test_circles_for_a_waist():
    full = circle(700, 600, "full", 1500, seam_mm=10, hem_mm=10)
    assert full.inner_mm == pytest.approx(700 / (2 * math.pi))
    assert full.hem_mm == pytest.approx(2 * math.pi * full.outer_mm)
    assert full.outer_cut_mm == pytest.approx(full.outer_mm + 2 * 10)  # turned twice
    assert full.inner_cut_mm == pytest.approx(full.inner_mm - 10)
    assert (full.pieces, full.angle_deg) == (1, 360)
    assert full.cloth_mm == pytest.approx(2 * full.outer_cut_mm)
    narrow = circle(700, 600, "full", 1100, seam_mm=10, hem_mm=10)
    assert (narrow.pieces, narrow.angle_deg) == (2, 180)
    half = circle(700, 600, "half", 1500, seam_mm=10, hem_mm=10)
    assert half.inner_mm == pytest.approx(2 * full.inner_mm)
    double = circle(700, 600, "double", 1500, seam_mm=10, hem_mm=10)
    assert double.inner_mm == pytest.approx(full.inner_mm / 2)
    assert double.pieces >= 2
    assert circle(700, 3000, "full", 1100, seam_mm=10, hem_mm=10).cloth_mm is None


@given(
    st.floats(300, 1500),
    st.floats(50, 900),
    st.sampled_from(["half", "three quarter", "full", "double"]),
    st.floats(700, 1600),
)
def test_a_circle_that_is_laid_comes_out_of_the_width_with_all_of_its_waist(waist, depth, part, usable):
    found = circle(waist, depth, part, usable, seam_mm=10, hem_mm=10)
    share = {"half": 0.5, "three quarter": 0.75, "full": 1, "double": 2}[part]
    assert found.pieces * found.angle_deg == pytest.approx(360 * share)
    assert found.inner_mm * math.radians(360 * share) == pytest.approx(waist)
    if found.cloth_mm is not None:
        assert min(found.wide_mm, found.high_mm) <= usable + 1e-6
        area = math.radians(360 * share) / 2 * (found.outer_cut_mm**2 - found.inner_cut_mm**2)
        assert found.cloth_mm * usable >= area * 0.999


@given(st.floats(10, 300), st.floats(20, 900), st.floats(20, 360))
def test_the_box_of_a_sector_holds_its_outline(inner, deep, angle):
    outer = inner + deep
    wide, high = sector_size(inner, outer, angle)
    half = math.radians(angle) / 2
    turns = [-half + 2 * half * i / 90 for i in range(91)]
    xs = [r * math.sin(a) for a in turns for r in (inner, outer)]
    zs = [r * math.cos(a) for a in turns for r in (inner, outer)]
    assert max(xs) - min(xs) <= wide + 1e-6
    assert max(zs) - min(zs) <= high + 1e-6
    assert wide == pytest.approx(max(xs) - min(xs), rel=0.01)
