"""Silhouettes and drawn figures: the model's examples, and what holds for any of them."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.wearer.as_drawn import Across, as_drawn
from fuseau.craft.wearer.silhouette import half_width, laced_ratio, seen_width

WAIST = {"name": "waist", "girth_mm": 700, "width_to_depth": 1.35, "give": 0.13}
HIP = {"name": "hip", "girth_mm": 960, "width_to_depth": 1.4, "give": 0.06}


def told(waist, hip=1.0, limit=0.10, **more):
    levels = [Across(**WAIST, drawn=waist), Across(**HIP, drawn=hip)]
    found = as_drawn(levels, turn_deg=0, limit_share=limit, **more)
    return found, {one.way: one for one in found.ways}


def test_a_waist_nobody_has_by_squeezing_alone_or_by_eight_percent_and_padding():
    found, ways = told(0.58, limit=0.08)
    assert found.hers_share == pytest.approx(0.72, abs=0.002)
    assert ways["as drawn"].reduction_share == pytest.approx(0.15, abs=0.01)
    assert ways["as drawn"].padding_mm == {}
    within = ways["within the limits"]
    assert within.reduction_share == pytest.approx(0.08, abs=0.005)
    assert within.padding_mm["hip"] == pytest.approx(19, abs=2.5)
    assert within.likeness_percent < 0.5
    none = ways["no squeeze"]
    assert none.reduction_share == 0
    assert none.padding_mm["hip"] > within.padding_mm["hip"]


def test_her_own_silhouette_as_picture_asks_for_nothing():
    widths = {one["name"]: float(half_width(one["girth_mm"], one["width_to_depth"])) for one in (WAIST, HIP)}
    _, ways = told(widths["waist"], widths["hip"])
    for one in ways.values():
        assert (one.reduction_share, one.padding_mm) == (0, {})
        assert one.likeness_percent < 0.01


@given(st.floats(0.4, 1.1), st.floats(0, 0.2), st.sampled_from([0.0, 20.0, 45.0]), st.sampled_from([None, "hip"]))
def test_more_freedom_never_brings_it_further_away_and_no_squeeze_goes_past_its_limit(waist, limit, turn, stays):
    levels = [Across(**WAIST, drawn=waist), Across(**HIP, drawn=1.0)]
    found = as_drawn(levels, turn_deg=turn, limit_share=limit, stays=stays)
    ways = {one.way: one for one in found.ways}
    assert ways["within the limits"].reduction_share <= limit + 1e-9
    assert all(padded <= alone + 0.35 for _, alone, padded in found.curve)
    assert all(0 < mm <= 60 for one in found.ways for mm in one.padding_mm.values())
    assert ways["within the limits"].likeness_percent <= ways["no squeeze"].likeness_percent + 0.35
    if stays:
        assert "hip" not in ways["no squeeze"].padding_mm


@given(st.floats(300, 1400), st.floats(1.0, 2.2))
def test_an_ellipse_has_the_girth_that_it_was_made_from(girth, ratio):
    half = float(half_width(girth, ratio))
    depth = half / ratio
    assert 2 * np.pi * np.sqrt((half**2 + depth**2) / 2) == pytest.approx(girth)
    assert float(seen_width(half, ratio, 90)) == pytest.approx(2 * depth)
    assert 1 <= float(laced_ratio(ratio, 0.6)) <= ratio


def test_what_can_not_be_told_from_a_picture_is_said():
    with pytest.raises(Unmakeable, match="too_few"):
        as_drawn([Across(**WAIST, drawn=1)], turn_deg=0, limit_share=0.1)
    with pytest.raises(Unmakeable, match="turned"):
        as_drawn([Across(**WAIST, drawn=1), Across(**HIP, drawn=1)], turn_deg=90, limit_share=0.1)
