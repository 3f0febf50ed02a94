"""Girths to sew that settle parallel and hold on everywhere, for bodies as they come (model, section 4)."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.equilibrium import settle
from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.target import Target
from fuseau.craft.materials.stack import Stack
from tests.craft.fit.test_fit import BODY, firm, planned

PRACTICE = Practice()
STEEL = 57.6


def laced(aimed, pattern):
    return Lacing(pattern, Stack(), STEEL, aimed.pull_n_per_m, PRACTICE)


@settings(max_examples=15)
@given(st.lists(st.floats(-14, 14), min_size=5, max_size=5), st.floats(3, 9))
def test_a_body_a_little_otherwise_still_settles_parallel_and_holds_on(off, percent):
    body = BODY.with_girths(BODY.girths_mm + np.array(off), np.full(5, 7.0))
    aimed, pattern = planned(Target(reduction_percent=percent), body=body)
    lacing = laced(aimed, pattern)
    found = fit(lacing, body)
    assert found.shape.mean_mm == pytest.approx(50, abs=1.5)
    assert abs(found.shape.tilt_mm) < 2.5
    hold = lacing.on(body)
    settled = settle(hold)
    held_in = (hold.natural_mm - settled.hoop_mm).min()
    limit = np.interp(settled.z, [level.back_mm for level in body], [level.comfort_kpa for level in body])
    assert held_in > -0.5  # nowhere planned to stand off by what anybody would see
    assert (settled.pressure_kpa < limit).all()


def test_levels_alone_would_tilt_where_the_balanced_garment_settles_parallel():
    body = BODY.with_girths(BODY.girths_mm + np.array([12, -12, 0, 10, -10]), np.full(5, 5.0))
    aimed, pattern = planned(Target(), body=body)
    plain = firm(Target(), body).held(aimed.pull_n_per_m)
    assert abs(fit(laced(aimed, pattern), body).shape.tilt_mm) < 0.1
    waist = body.index_of_zero
    assert aimed.sewn_mm[waist] == aimed.closed_waist_mm == pytest.approx(plain.sewn_mm[waist])
    others = [i for i in range(5) if i != waist]
    assert max(abs(aimed.sewn_mm[i] - plain.sewn_mm[i]) for i in others) > 1


@pytest.mark.parametrize("seat", [{"ride_mm": 8.0}, {"lean": 0.08}, {"friction": 0.25}])
def test_how_it_sits_and_is_laced_on_her_is_planned_for(seat):
    body = BODY.model_copy(update=seat)
    aimed, pattern = planned(Target(), body=body)
    lacing = laced(aimed, pattern)
    as_known, forgotten = (fit(lacing, one).shape for one in (body, BODY))
    assert abs(as_known.tilt_mm) < 2
    assert as_known.mean_mm == pytest.approx(50, abs=1.5)
    worse = abs(forgotten.tilt_mm) + abs(forgotten.mean_mm - 50) + abs(forgotten.bow_mm)
    assert worse > abs(as_known.tilt_mm) + abs(as_known.mean_mm - 50) + abs(as_known.bow_mm)


def test_a_garment_that_rides_up_meets_what_lies_above():
    up = BODY.model_copy(update={"ride_mm": 10.0})
    met = up.as_met()
    below_waist = [level.name for level in BODY].index("high_hip")
    assert met.girths_mm[below_waist] < BODY.girths_mm[below_waist]  # above the high hip she is smaller
    assert BODY.as_met() is BODY
