"""What would raise the odds, and what the next trying-on is expected to show (model, section 6)."""

import dataclasses

import numpy as np
import pytest

from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.equilibrium import settle
from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fitting.inference import foresee, infer, sense
from fuseau.craft.fitting.readiness import Wish, readiness
from fuseau.craft.fitting.value_of_information import raises
from tests.craft.fit.test_fit import BODY, HEIGHTS, tried_on
from tests.craft.fitting.test_inference import FINAL, PATTERN, planned_gap, with_all
from tests.saying import said

PRACTICE = Practice()
MOCK_UP = tried_on(PATTERN, BODY, HEIGHTS).lacing
KNOWN = infer(BODY, [with_all(tried_on(PATTERN, BODY, HEIGHTS))])


def ways(belief, final=FINAL, mock_up=MOCK_UP):
    gap = Wish(float(planned_gap()))
    now = readiness(belief, final, gap).probability
    return now, raises(belief, final, mock_up, 57.6, gap, now, "flat steel")


def test_ways_are_ordered_better_than_now_and_said_in_hundreds():
    now, found = ways(infer(BODY, []))
    assert found
    assert [one.probability for one in found] == sorted((one.probability for one in found), reverse=True)
    for one in found:
        assert now < one.probability <= 1
        assert f"{one.probability * 100:.0f} of 100" in said(one.sentence)
        assert (one.level is None) == (one.what != "a reading")


def test_a_whole_mock_up_tells_at_least_as_much_as_one_reading_of_it():
    for belief in (infer(BODY, []), KNOWN):
        _, found = ways(belief)
        by_way = {one.what: one.probability for one in found}
        assert by_way.get("a reading", 0.0) <= by_way.get("one more mock-up", 1.0) + 1e-9


def test_where_nothing_is_in_doubt_nothing_raises_it():
    sure = dataclasses.replace(KNOWN, covariance=KNOWN.covariance * 1e-8)
    now, found = ways(sure)
    assert now == 0.99
    assert found == ()


def test_a_final_edge_that_is_stiff_already_is_not_offered_stiffer():
    _, found = ways(infer(BODY, []))
    assert "stiffer edges" not in {one.what for one in found}


@pytest.mark.parametrize("mock_up", [True, False])
def test_what_is_sensed_is_what_settles(mock_up):
    lacing = MOCK_UP if mock_up else FINAL
    sensed = sense(KNOWN, lacing, mock_up=mock_up)
    hold = lacing.on(KNOWN.body)
    if not mock_up:
        assert sensed.gap_mm == pytest.approx(settle(hold).gap_mm, abs=1e-3)
        assert np.all(sensed.covariance[len(KNOWN.mean) :] == 0)
    assert sensed.gap_by.shape == (len(lacing.z), len(sensed.covariance))
    assert np.linalg.eigvalsh((sensed.covariance + sensed.covariance.T) / 2).min() > -1e-6


def test_spreads_of_what_is_foreseen_are_those_of_settled_draws():
    foreseen = foresee(KNOWN, FINAL, mock_up=False)
    gaps = np.array([fit(FINAL, body).gap_mm for body in KNOWN.bodies(300, 4)])
    model = PRACTICE.model_spread_mm
    drawn = np.hypot(gaps.std(axis=0), model)
    assert np.array(foreseen.gap_spread_mm) == pytest.approx(drawn, rel=0.35, abs=0.8)
    assert np.array(foreseen.gap_mm) == pytest.approx(gaps.mean(axis=0), abs=3.0)


def test_a_mock_up_is_less_certain_than_the_final_for_its_cloth_and_the_evening():
    soft = Lacing(PATTERN, MOCK_UP.stack, FINAL.edge_n_m2, FINAL.pull_n_per_m, PRACTICE)
    next_one, final = (foresee(KNOWN, soft, mock_up=mock_up) for mock_up in (True, False))
    assert sum(next_one.gap_spread_mm) > sum(final.gap_spread_mm)


def test_where_a_garment_sits_on_her_is_learned_from_evening_to_evening_and_kept():
    known = BODY.with_girths(BODY.girths_mm, np.full(5, 1.0))
    truth = fit(MOCK_UP, known.model_copy(update={"ride_mm": 7.0}))
    seen = dataclasses.replace(tried_on(PATTERN, BODY, HEIGHTS), gap_mm=np.array([truth.gap_at(z) for z in HEIGHTS]))
    rides = [
        infer(known, [dataclasses.replace(seen, number=k + 1) for k in range(count)]).body.ride_mm
        for count in (1, 2, 6)
    ]
    assert 1 < rides[0] < rides[1] < rides[2] < 8
