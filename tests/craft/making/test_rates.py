"""Her pace: the shop's minutes at first, known draws after enough of them, and what a step takes of both."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.making.rates import SPREAD, Logged, ln_spread, rates, takes, usual_minutes
from fuseau.craft.materials.minutes import MINUTES, PER
from tests.craft.making.test_garment_state import step

SEAM, PRESS = "sew a seam", "press a seam"


def test_without_a_log_it_is_the_shops_number_with_the_shops_spread():
    found = rates(())
    assert set(found) == set(MINUTES) == set(PER)
    for work, rate in found.items():
        assert rate.minutes == pytest.approx(MINUTES[work])
        assert rate.spread_ln == pytest.approx(ln_spread(SPREAD))
        assert (rate.entries, rate.usual_min, rate.per) == (0, MINUTES[work], PER[work])


def test_one_entry_counts_as_one_beside_the_shops_three():
    # twice as long once: the mean of the logarithm moves by a quarter of ln 2 (less what the prior's mean lies below)
    (rate,) = (rates([Logged(((SEAM, 1),), 2 * MINUTES[SEAM])])[SEAM],)
    sigma = ln_spread(SPREAD)
    mu = (3 * (-(sigma**2) / 2) + math.log(2)) / 4
    beta = 1.5 * sigma**2 + 3 * (math.log(2) + sigma**2 / 2) ** 2 / 8
    assert rate.spread_ln == pytest.approx(math.sqrt(beta / 2))
    assert rate.minutes == pytest.approx(MINUTES[SEAM] * math.exp(mu + rate.spread_ln**2 / 2))
    assert rate.entries == 1


@pytest.mark.parametrize(("factor", "share"), [(1.6, 0.2), (0.7, 0.5), (1.0, 0.1)])
def test_of_many_draws_it_learns_their_mean_and_spread(factor, share):
    chance, sigma = np.random.default_rng(11), ln_spread(share)
    drawn = factor * np.exp(sigma * chance.standard_normal(600) - sigma**2 / 2)
    found = rates([Logged(((SEAM, 2),), 2 * MINUTES[SEAM] * one) for one in drawn])[SEAM]
    assert found.minutes == pytest.approx(factor * MINUTES[SEAM], rel=0.05)
    assert found.spread_ln == pytest.approx(sigma, rel=0.08)


def test_an_entry_of_several_kinds_tells_each_by_its_share_of_the_minutes():
    found = rates([Logged(((SEAM, 9), (PRESS, 1)), 2 * (9 * MINUTES[SEAM] + MINUTES[PRESS]))] * 20)
    sewn, pressed = found[SEAM].minutes / MINUTES[SEAM], found[PRESS].minutes / MINUTES[PRESS]
    assert 1.8 < sewn < 2.2
    assert 1 < pressed < sewn
    assert found["waist tape"].minutes == pytest.approx(MINUTES["waist tape"])


def test_what_tells_nothing_is_not_counted():
    found = rates([Logged((), 30), Logged(((SEAM, 0),), 30), Logged(((SEAM, 1),), 0)])
    assert all(rate.entries == 0 for rate in found.values())


@settings(max_examples=60)
@given(st.lists(st.floats(1, 400), max_size=8))
def test_whatever_was_logged_a_rate_is_finite_and_between_the_shops_and_the_log(minutes):
    found = rates([Logged(((SEAM, 1),), one) for one in minutes])[SEAM]
    assert math.isfinite(found.minutes)
    assert found.spread_ln > 0
    lowest = min([*minutes, MINUTES[SEAM]])
    assert found.minutes > lowest * 0.9


def test_a_step_takes_the_sum_of_its_works_and_their_spreads_together():
    known = rates(())
    one = step("x", works=((SEAM, 2), (PRESS, 2)), fixed_min=10)
    found = takes(one, known)
    assert found.minutes == pytest.approx(2 * MINUTES[SEAM] + 2 * MINUTES[PRESS] + 10) == usual_minutes(one)
    assert found.spread_ln == pytest.approx(ln_spread(SPREAD))  # alike all of it, so it spreads as each does
    nothing = takes(step("y"), known)
    assert (nothing.minutes, nothing.spread_ln) == (0, 0)
