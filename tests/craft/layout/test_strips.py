"""Bias and straight strips: widths, joins, and what they take of the cloth, against cutting them out (model, 11)."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely.geometry import Polygon

from fuseau.craft.base.practice import Practice
from fuseau.craft.layout.strips import (
    bias_strips,
    bias_strips_beside,
    bias_yield,
    binding_length,
    side_by_side,
    straight_strips,
    strip_width,
)

PRACTICE = Practice()


def test_a_binding_of_12_mm_over_plies_of_1_15_is_cut_50_wide():
    assert strip_width(12, 1.15) == pytest.approx(50.3)
    assert strip_width(12, 1.15, "folded") > strip_width(12, 1.15)


def test_a_binding_is_turned_in_at_both_ends():
    assert binding_length(800, PRACTICE) == 800 + 2 * PRACTICE.binding_turn_mm


def lying(strips, cloth_wide):
    """Every strip of a plan as it lies at 45° on the cloth, all as long as the longest has to be."""
    lost = 2 * PRACTICE.join_allowance_mm * math.sqrt(2)
    each = (strips.length_mm + strips.width_mm + strips.joins * lost) / strips.count
    climb, pitch = each / math.sqrt(2), strips.width_mm * math.sqrt(2)
    return [
        Polygon([(0, k * pitch), (climb, climb + k * pitch), (climb, climb + (k + 1) * pitch), (0, (k + 1) * pitch)])
        for k in range(strips.count)
    ], each


@given(st.floats(100, 9000), st.floats(15, 120), st.floats(300, 1600))
def test_bias_strips_are_long_enough_lie_on_the_cloth_and_leave_none_out(length, width, wide):
    found = bias_strips(length, width, wide, PRACTICE)
    strips, each = lying(found, wide)
    assert found.joins == found.count - 1
    # what is joined is as long as it must be, squared at both ends
    assert found.count * each - found.joins * 2 * PRACTICE.join_allowance_mm * math.sqrt(2) >= length + width - 1e-6
    low, high = min(one.bounds[0] for one in strips), max(one.bounds[2] for one in strips)
    assert high - low <= wide + 1e-6
    assert max(one.bounds[3] for one in strips) == pytest.approx(found.cloth_mm)
    # as wide as they were asked for, across
    assert all(one.area == pytest.approx(each * width, rel=1e-6) for one in strips)
    for one, other in zip(strips, strips[1:], strict=False):
        assert one.intersection(other).area < 1e-6
    lost = 2 * PRACTICE.join_allowance_mm * math.sqrt(2)
    if found.count > 1:  # with a strip fewer it would not reach, or take more
        fewer = (length + width + (found.count - 2) * lost) / (found.count - 1)
        takes = fewer / math.sqrt(2) + (found.count - 1) * width * math.sqrt(2)
        assert fewer > math.sqrt(2) * wide - 1e-6 or takes >= found.cloth_mm - 1e-6


@given(st.floats(100, 9000), st.floats(15, 120), st.floats(200, 1600))
def test_straight_strips_are_long_enough_and_take_their_width_each(length, width, wide):
    found = straight_strips(length, width, wide, PRACTICE)
    assert found.count * wide - found.joins * 2 * PRACTICE.join_allowance_mm >= length - 1e-6
    assert found.cloth_mm == pytest.approx(found.count * width)


def test_a_strip_too_wide_for_its_cloth_is_refused():
    with pytest.raises(ValueError, match="no strip"):
        bias_strips(500, 90, 60, PRACTICE)


@given(st.floats(200, 1500), st.floats(200, 1500), st.floats(20, 45))
def test_what_a_piece_yields_is_what_slanting_lines_cut_of_it(wide, long, width):
    from shapely.geometry import box

    cloth, found = box(0, 0, wide, long), 0.0
    reach = wide + long
    steps = int(reach * math.sqrt(2) / width) + 2
    for k in range(-steps, steps):
        at = k * width * math.sqrt(2)
        band = Polygon(
            [(0, at), (reach, at + reach), (reach, at + reach + width * math.sqrt(2)), (0, at + width * math.sqrt(2))]
        )
        area = cloth.intersection(band).area
        if area / width >= 3 * width:  # its middle line, about
            found += area / width
    assert bias_yield(wide, long, width) == pytest.approx(found, rel=0.12, abs=6 * width)


def test_strips_cut_beside_each_other_climb_once():
    one, other = bias_strips_beside([800, 950], 42, 1380, PRACTICE)
    both = side_by_side([one, other])
    assert max(one.cloth_mm, other.cloth_mm) < both < one.cloth_mm + other.cloth_mm
    climbs = [strips.cloth_mm - strips.count * 42 * math.sqrt(2) for strips in (one, other)]
    assert both == pytest.approx(max(climbs) + (one.count + other.count) * 42 * math.sqrt(2))
    apart = side_by_side([bias_strips(800, 42, 1380, PRACTICE), bias_strips(950, 42, 1380, PRACTICE)])
    assert both <= apart + 1e-6
    assert side_by_side([]) == 0
