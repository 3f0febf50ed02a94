"""Chains by sag, loads against what holds them, straps and flossing, against what is worked out by hand."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.integrate import quad

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.fit.shape_holds import shape_holds
from fuseau.craft.trims.chains import chain_length, chain_sag
from fuseau.craft.trims.choices import Flossing, Strap
from fuseau.craft.trims.flossing import lay_flossing, stitches_of
from fuseau.craft.trims.hold import load
from fuseau.craft.trims.straps import lay_strap


@given(st.floats(20, 2000), st.floats(10, 3000))
def test_a_level_chain_is_a_catenary(span, a):
    if span / (2 * a) > 6:
        return
    sag = a * (math.cosh(span / (2 * a)) - 1)
    whole, _ = quad(lambda x: math.cosh(x / a), -span / 2, span / 2)
    assert chain_length(span, sag) == pytest.approx(whole, rel=1e-6)


@given(st.floats(20, 1500), st.floats(0, 800), st.floats(0.02, 3))
def test_the_sag_of_the_length_of_a_sag_is_that_sag(span, lower, share):
    sag = share * math.hypot(span, lower)
    length = chain_length(span, sag, lower)
    assert length >= math.hypot(span, lower)
    assert chain_sag(span, length, lower) == pytest.approx(sag, rel=1e-3, abs=0.05)


def test_a_chain_shorter_than_its_span_does_not_hang():
    assert chain_sag(300, 300) == 0
    with pytest.raises(ValueError, match="shorter"):
        chain_sag(300, 299)


def test_a_skirt_of_four_kilos_on_a_bodice():
    slips = load(4000, 30.0, 5.0)
    assert slips.weight_n == pytest.approx(39.24)
    assert (slips.word, slips.holds_n) == ("slips", 35)
    assert load(4000, 36.0, 5.0).word == "barely"
    assert load(4000, 60.0, 0.0).word == "holds"
    strapped = load(4000, 30.0, 5.0, strapped=True)
    assert (strapped.word, strapped.straps_n) == ("holds", pytest.approx(1.5 * 39.24 - 35))
    assert load(4000, 5.0, -20.0).holds_n == 0


def test_a_body_that_widens_below_holds_and_one_that_narrows_lets_go():
    assert shape_holds([-80, 0], [820, 700], [80, 80]) == pytest.approx(9.6)
    assert shape_holds([0, 140], [700, 820], [80, 80]) == pytest.approx(-9.6)
    assert shape_holds([0, -80, 140], [700, 820, 820], [80, 80, 80]) == pytest.approx(0)


def test_a_strap_over_the_shoulder():
    strap = Strap(key="s1", over_mm=400, ease_mm=20, in_length_mm=25, front_mm=90, back_mm=80)
    found = lay_strap(strap, 120, 100, 220, 240, "s")
    assert (found.finished_mm, found.cut_mm, found.count, found.guessed) == (420, 470, 2, False)
    placed = Strap(key="s1", shoulder_up_mm=380, ease_mm=0, shoulder_out_mm=100, front_mm=100, back_mm=100)
    guessed = lay_strap(placed, 130, 110, 220, 240, "s")
    assert guessed.finished_mm == pytest.approx(1.06 * (250 + 270))
    assert (guessed.front_deg, guessed.guessed) == (0, True)
    again = lay_strap(placed.model_copy(update={"over_mm": guessed.finished_mm}), 130, 110, 220, 240, "s")
    assert again.back_deg == pytest.approx(0)
    more = lay_strap(strap.model_copy(update={"ease_mm": 60}), 120, 100, 220, 240, "s")
    assert more.arm_deg > found.arm_deg
    band = lay_strap(Strap(key="s1", kind="off the shoulder", arm_mm=300, ease_mm=15), 120, 100, 220, 240, "s")
    assert band.finished_mm == 315


@pytest.mark.parametrize(
    ("fields", "at"),
    [
        ({"over_mm": 400, "front_mm": 300}, "s.front_mm"),
        ({"over_mm": 400, "back_mm": 300}, "s.back_mm"),
        ({}, "s.over_mm"),
        ({"kind": "off the shoulder"}, "s.arm_mm"),
    ],
)
def test_a_strap_without_a_point_or_a_way_is_told_at_its_field(fields, at):
    with pytest.raises(Unmakeable) as caught:
        lay_strap(Strap(key="s1", **fields), 120, 100, 220, 240, "s")
    assert caught.value.at == at


def test_flossing_is_counted_at_the_ends_of_both_halves():
    ends = [("1a", 1, (10.0, 80.0), (10.0, -90.0)), ("CF", 1, (3.0, 85.0), (3.0, -95.0))]
    found = lay_flossing(Flossing(key="f1", pattern="cross", high_mm=16, wide_mm=12), ends, ends)
    assert (found.count, found.stitches) == (8, 2)
    assert found.thread_each_mm == pytest.approx(2 * 40 + 120)
    assert found.works == (("flossing", 8.0),)
    top = lay_flossing(Flossing(key="f1", ends="top", channels=("CF",)), ends, ends)
    assert [(one.channel, one.end, one.at) for one in top.at] == [("CF", "top", (3.0, 85.0))]
    assert top.count == 2


@given(st.sampled_from(["bar", "cross", "fan", "arrow"]), st.floats(5, 80), st.floats(2, 40))
def test_no_stitch_of_a_flossing_is_longer_than_across_its_size(pattern, high, wide):
    stitches = stitches_of(pattern, high, wide)
    assert all(0 < one <= math.hypot(high, wide) + 1e-9 for one in stitches)
