"""Readings, and how flesh gives (model, section 2)."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.integrate import quad
from scipy.special import ellipe

from fuseau.craft.base.practice import Practice
from fuseau.craft.wearer.body import believe, estimate, missing_measures
from fuseau.craft.wearer.compression import girth_under, side_pressure, tension_at
from fuseau.craft.wearer.measures import TORSO, Level, Wearer, Zones, check_measures
from tests.saying import said, unread

PRACTICE = Practice()


@pytest.mark.parametrize(
    ("natural", "give", "tension", "girth", "pressure"),
    [(720, 0.13, 240, 656.1, 2.299), (780, 0.05, 120, 764.8, 0.986), (960, 0.05, 150, 941.1, 1.001)],
)
def test_give_follows_the_examples(natural, give, tension, girth, pressure):
    found = girth_under(np.array([float(natural)]), np.array([give]), np.array([float(tension)]), 2.0)[0]
    assert found == pytest.approx(girth, abs=0.05)
    assert 2 * math.pi * tension / found == pytest.approx(pressure, abs=0.0005)


@given(natural=st.floats(500, 1300), give=st.floats(0.02, 0.2), tension=st.floats(1, 500))
def test_tension_is_the_inverse_of_give(natural, give, tension):
    natural, give = np.array([natural]), np.array([give])
    girth = girth_under(natural, give, np.array([tension]), 2.0)
    assert tension_at(natural, give, girth, 2.0)[0][0] == pytest.approx(tension, rel=1e-6)


@given(natural=st.floats(500, 1300), give=st.floats(0.02, 0.2), used=st.floats(0.05, 0.95))
def test_derivatives_of_tension_are_those_of_differences(natural, give, used):
    girth, step = natural * (1 - give * used), 1e-4

    def tension(natural_mm, girth_mm):
        return tension_at(np.array([natural_mm]), np.array([give]), np.array([girth_mm]), 2.0)

    _, by_hoop, by_natural = tension(natural, girth)
    across = (tension(natural, girth + step)[0] - tension(natural, girth - step)[0]) / (2 * step)
    over = (tension(natural + step, girth)[0] - tension(natural - step, girth)[0]) / (2 * step)
    assert by_hoop[0] == pytest.approx(across[0], rel=1e-4)
    assert by_natural[0] == pytest.approx(over[0], rel=1e-4)


def test_a_slack_hoop_does_not_press():
    assert tension_at(np.array([700.0]), np.array([0.13]), np.array([705.0]), 2.0)[0][0] == 0


@pytest.mark.parametrize("ratio", [1.0, 1.35, 1.45])
def test_side_pressure_is_tension_times_the_curvature_of_the_ellipse(ratio):
    girth, tension = 700.0, 200.0
    # the true ellipse with this girth, by its complete elliptic integral
    depth = girth / (4 * ratio * ellipe(1 - 1 / ratio**2))
    exact = tension * ratio / depth
    found = float(side_pressure(np.array(tension), np.array(girth), np.array(ratio)))
    assert found == pytest.approx(exact, rel=0.01)
    length, _ = quad(lambda t: math.hypot(ratio * depth * math.sin(t), depth * math.cos(t)), 0, 2 * math.pi)
    assert length == pytest.approx(girth, rel=1e-6)


@pytest.mark.parametrize(
    ("readings", "unconfirmed", "mean", "spread"),
    [
        ((700.0,), False, 700, 7),
        ((700.0,), True, 700, 12),
        ((700.0, 700.0, 700.0), False, 700, 3),
        ((690.0, 700.0, 716.0), False, 702, np.std([690, 700, 716], ddof=1) / math.sqrt(3)),
    ],
)
def test_spread_of_an_estimate(readings, unconfirmed, mean, spread):
    assert estimate(readings, unconfirmed, PRACTICE) == pytest.approx((mean, spread))


def test_no_readings_is_an_error():
    with pytest.raises(ValueError, match="no readings"):
        estimate((), False, PRACTICE)


def _wearer(**girths):
    return Wearer(**{name: Level(readings_mm=(mm,)) for name, mm in girths.items()})


def test_four_girths_are_enough_and_the_rest_is_filled_in():
    body = believe(_wearer(underbust=770.0, waist=700.0, high_hip=880.0, hip=960.0), Zones(), PRACTICE)
    assert [level.name for level in body] == ["hip", "high_hip", "waist", "ribs", "underbust"]
    ribs = body["ribs"]
    assert not ribs.measured
    assert 700 < ribs.girth_mm < 770
    assert ribs.spread_mm == PRACTICE.tape_spread_guessed_mm
    assert missing_measures(_wearer(waist=700.0)) == ["underbust", "hip"]


def test_heights_at_front_side_and_back_are_signed_from_the_waist():
    wearer = Wearer(
        underbust=Level(readings_mm=(770,), height_front_mm=80, height_back_mm=100),
        waist=Level(readings_mm=(700,)),
        hip=Level(readings_mm=(960,), height_side_mm=190),
    )
    body = believe(wearer, Zones(), PRACTICE)
    under = body["underbust"]
    assert (under.front_mm, under.side_mm, under.back_mm) == (80, 90, 100)
    assert body["hip"].side_mm == -190
    assert body["high_hip"].side_mm > -190


def test_heights_out_of_order_are_refused_at_their_field():
    with unread("has to lie further from the waist") as caught:
        Wearer(ribs=Level(height_side_mm=95), underbust=Level(height_side_mm=80))
    assert caught.value.errors()[0]["ctx"]["at"] == "underbust.height_side_mm"


def test_a_waist_of_seven_centimetres_is_refused_with_the_range():
    with unread(r"7\.0 cm can't be right .* 40\.0 to 200\.0 cm"):
        Level(readings_mm=(70.0,))


def test_a_hip_smaller_than_the_ribs_is_a_thing_to_check():
    wearer = _wearer(underbust=770.0, waist=700.0, hip=696.0)
    found = [finding for finding in check_measures(wearer, TORSO, PRACTICE) if finding.where == "Hip"]
    assert found
    assert all(finding.severity == "caution" and finding.at == "wearer.hip.readings_mm" for finding in found)
    assert "Check the hip: 69.6 cm" in said(found[0].sentence)


def test_readings_that_disagree_are_named():
    wearer = Wearer(waist=Level(readings_mm=(700.0, 718.0)))
    (finding,) = check_measures(wearer, TORSO, PRACTICE)
    assert finding.code == "readings_disagree"
    assert "3/4 in" in said(finding.sentence, "in")
