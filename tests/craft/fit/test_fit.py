"""Gap shapes, the target, and what a fitting teaches (model, sections 3, 4 and 6)."""

import dataclasses

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.firmness import Firmness
from fuseau.craft.fit.fit import Lacing, feel_of, fit, gap_shape
from fuseau.craft.fit.girth_solver import settle_parallel
from fuseau.craft.fit.target import Target, check_aim, most_pull
from fuseau.craft.fitting.inference import learn
from fuseau.craft.fitting.seen import Tried
from fuseau.craft.materials.stack import MOCK_UP_STACK, Stack, take_up
from fuseau.craft.pattern.drafting import draft
from fuseau.craft.pattern.pattern import Allowances
from tests.craft.pattern.test_pattern import BODY, HEM, TOP
from tests.saying import said

PRACTICE = Practice()
SPAN = (HEM.cb_mm, TOP.cb_mm)
TAKES = take_up(Stack(), 10, PRACTICE)


def firm(target: Target, body=BODY, *, laced: bool = True) -> Firmness:
    takes = np.full(len(body.levels), TAKES)
    more = body.stretch_of(Stack().cloth)
    return Firmness(target, body, SPAN, takes, Stack().stretch_per_n, more, PRACTICE, laced=laced)


def planned(target: Target, edge: float = 57.6, body=BODY):
    return settle_parallel(
        firm(target, body),
        lambda sewn: draft(body, np.array(sewn), target.gap_mm, 6, TOP, HEM, Allowances(), PRACTICE),
        Stack(),
        edge,
        most_n_per_m=most_pull(target.job, PRACTICE),
    )


@pytest.mark.parametrize(
    ("gap", "word"),
    [
        (lambda s: 50 + 0 * s, "parallel"),
        (lambda s: 50 + 8 * s, "wide at top"),
        (lambda s: 50 - 8 * s, "wide at bottom"),
        (lambda s: 50 - 9 * s**2, "wide at waist"),
        (lambda s: 40 + 9 * s**2, "narrow at waist"),
        (lambda s: 0 * s, "closed"),
    ],
)
def test_the_shape_of_a_gap_has_its_name(gap, word):
    z = np.linspace(-130, 100, 61)
    assert gap_shape(z, gap(np.linspace(-1, 1, 61)), 0.0, PRACTICE).shape == word


def test_tilt_and_bow_are_in_millimetres():
    s = np.linspace(-1, 1, 401)
    shape = gap_shape(s * 100, 50 + 6 * s - 9 * s**2, 0.0, PRACTICE)
    assert shape.tilt_mm == pytest.approx(12)
    assert shape.bow_mm == pytest.approx(9, abs=0.05)


def test_a_garment_that_would_pass_itself_is_overlapping():
    z = np.linspace(-130, 100, 61)
    assert gap_shape(z, 0 * z, 22.0, PRACTICE).shape == "overlapping"


def test_pressure_in_words():
    assert [feel_of(share * 2.5, 2.5, 0) for share in (0, 0.1, 0.5, 0.9, 1.1)] == [
        "stands off",
        "light",
        "close",
        "firm",
        "too firm",
    ]
    assert feel_of(1.0, 2.5, 4.0) == "stands off"


@settings(max_examples=12)
@given(percent=st.floats(0, 10), gap=st.sampled_from([0.0, 25, 50, 80]), pull=st.sampled_from(["light", "close"]))
def test_with_stiff_edges_the_final_settles_parallel_at_the_wish(percent, gap, pull):
    aimed, pattern = planned(Target(reduction_percent=percent, gap_mm=gap, pull=pull))
    found = fit(Lacing(pattern, Stack(), 57.6, aimed.pull_n_per_m, PRACTICE), BODY)
    assert found.shape.mean_mm == pytest.approx(gap, abs=1.0 if gap else 2.0)  # closed edges can only stand apart
    assert abs(found.shape.tilt_mm) < 2.0
    assert abs(found.shape.bow_mm) < 2.0


def test_soft_edges_bow_where_stiff_ones_do_not():
    target = Target(reduction_percent=9)
    bows = []
    for edge in (0.24, 57.6):
        aimed, pattern = planned(target, edge)
        bows.append(fit(Lacing(pattern, Stack(), edge, aimed.pull_n_per_m, PRACTICE), BODY).shape.bow_mm)
    assert bows[0] > 5
    assert abs(bows[1]) < 1


@settings(max_examples=8)
@given(st.lists(st.floats(0, 11), min_size=2, max_size=2, unique=True).map(sorted))
def test_more_reduction_never_widens_a_closed_waist(percents):
    less, more = (planned(Target(reduction_percent=percent))[0] for percent in percents)
    assert more.closed_waist_mm <= less.closed_waist_mm + 1e-6
    assert more.sewn_mm[2] <= less.sewn_mm[2] + 0.2


def test_a_supporting_bodice_draws_lightly_everywhere():
    aimed, _ = planned(Target(job="none"))
    assert aimed.reduction_share < 0.05
    assert all(40 < tension < 150 for tension in aimed.tension_n_per_m)


@pytest.mark.parametrize(
    ("percent", "new", "severity"),
    [(8, True, None), (10.5, False, None), (10.5, True, "caution"), (17, False, "caution"), (22, False, "stop")],
)
def test_cautions_on_the_reduction(percent, new, severity):
    target = Target(reduction_percent=percent)
    aimed, _ = planned(target)
    found = [f for f in check_aim(target, aimed, BODY, new, PRACTICE) if f.code == "reduction"]
    assert [finding.severity for finding in found] == ([severity] if severity else [])
    for finding in found:
        assert "no medical advice" in said(finding.sentence)
        assert finding.mend is not None


@pytest.mark.parametrize("percent", [10, 12, 20, 28])
def test_a_reduction_is_drafted_as_it_was_asked_and_what_it_takes_is_told(percent):
    target = Target(reduction_percent=percent)
    aimed, pattern = planned(target)
    waist = BODY["waist"].girth_mm
    assert aimed.reduction_mm == pytest.approx(percent / 100 * waist)
    assert pattern.shape.sewn_girth(np.array([0.0]))[0] == pytest.approx(aimed.closed_waist_mm, abs=0.1)
    stretch = 1 + aimed.pull_n_per_m / 100_000 + BODY.stretch_of(Stack().cloth)
    worn = aimed.closed_waist_mm * stretch + target.gap_mm - TAKES
    assert worn == pytest.approx((1 - percent / 100) * waist, abs=0.1)
    final = fit(Lacing(pattern, Stack(), 57.6, aimed.pull_n_per_m, PRACTICE), BODY)
    told = {one.code: one for one in check_aim(target, aimed, BODY, False, PRACTICE, final.waist_gap_mm)}
    assert ("more_than_a_pull" in told) == (not aimed.reaches) == (percent > 10)
    if percent > 10:
        assert aimed.pull_n_per_m == most_pull("reduction_share", PRACTICE)
        assert final.waist_gap_mm > target.gap_mm + 3
        offered = told["more_than_a_pull"].mend  # what that pull draws her in to, which then closes as wished
        less = {change.at: change.value for change in offered.changes}["target.reduction_percent"]
        assert 0 < less < percent
        aimed, pattern = planned(Target(reduction_percent=less))
        assert aimed.reaches
        assert aimed.pull_n_per_m <= most_pull("reduction_share", PRACTICE)
        gap = fit(Lacing(pattern, Stack(), 57.6, aimed.pull_n_per_m, PRACTICE), BODY).waist_gap_mm
        assert gap == pytest.approx(target.gap_mm, abs=2)


@pytest.mark.parametrize("closed", [540.0, 575.0, 600.0, 640.0, 690.0])
def test_a_closed_waist_is_sewn_as_it_was_said(closed):
    aimed, pattern = planned(Target(job="closed_waist", closed_waist_mm=closed))
    assert aimed.closed_waist_mm == pytest.approx(closed, abs=1e-6)
    assert pattern.shape.sewn_girth(np.array([0.0]))[0] == pytest.approx(closed, abs=0.05)


# --- learning

MOCK_EDGE = 0.34


def tried_on(pattern, body, heights, number=1, noise=None):
    lacing = Lacing(pattern, MOCK_UP_STACK, MOCK_EDGE, 180, PRACTICE)
    found = fit(lacing, body)
    gaps = np.array([found.gap_at(z) for z in heights])
    gaps = gaps if noise is None else np.maximum(0, gaps + noise)
    return Tried(number, lacing, np.array(heights, float), gaps, np.full(len(heights), 3.0))


HEIGHTS = (95, 45, 0, -50, -110)


def test_a_perfect_fitting_of_a_perfect_model_changes_nothing():
    _, pattern = planned(Target())
    believed, learned = learn(BODY, [tried_on(pattern, BODY, HEIGHTS)])
    assert [level.girth_mm for level in believed] == pytest.approx([level.girth_mm for level in BODY], abs=0.05)
    assert all(reading.spreads_off < 0.02 for reading in learned.readings)


def test_without_fittings_the_body_is_the_tapes():
    believed, learned = learn(BODY, [])
    assert believed.girths_mm == pytest.approx(BODY.girths_mm)
    assert [level.give for level in believed] == pytest.approx([level.give for level in BODY])
    assert (believed.ride_mm, believed.lean, believed.flesh_scale, believed.stiffening) == (0, 0, 1, 0)
    assert believed.friction == BODY.friction == PRACTICE.lace_friction
    assert learned.readings == ()


@settings(max_examples=8)
@given(st.lists(st.floats(-9, 9), min_size=5, max_size=5), st.integers(0, 1000))
def test_a_fitting_brings_the_next_gap_closer_to_the_wish(off, seed):
    true = BODY.with_girths(np.array([level.girth_mm for level in BODY]) + off, np.zeros(5))
    target = Target()
    aimed, pattern = planned(target)
    noise = np.random.default_rng(seed).normal(0, 1.0, len(HEIGHTS))
    believed, _ = learn(BODY, [tried_on(pattern, true, HEIGHTS, noise=noise)])
    aimed_next, following = planned(target, body=believed)

    def miss(one, pull):
        shape = fit(Lacing(one, Stack(), 57.6, pull, PRACTICE), true).shape
        return max(abs(shape.mean_mm - 50), abs(shape.tilt_mm))

    assert miss(following, aimed_next.pull_n_per_m) < max(9.0, miss(pattern, aimed.pull_n_per_m))


def test_more_readings_never_widen_a_spread():
    _, pattern = planned(Target())
    spreads = []
    for count in (0, 3, 5):
        believed, _ = learn(BODY, [tried_on(pattern, BODY, HEIGHTS[:count])] if count else [])
        spreads.append([level.spread_mm for level in believed])
    for fewer, more in zip(spreads, spreads[1:], strict=False):
        assert all(b <= a + 1e-9 for a, b in zip(fewer, more, strict=True))
    assert min(b / a for a, b in zip(spreads[0], spreads[2], strict=True)) < 0.93  # girth hides behind give and pull


def test_a_reading_that_contradicts_the_rest_stands_out():
    _, pattern = planned(Target())
    tried = tried_on(pattern, BODY, HEIGHTS)
    wrong = dataclasses.replace(tried, gap_mm=tried.gap_mm + np.array([0, 0, 40, 0, 0]))
    _, learned = learn(BODY, [wrong])
    worst = max(learned.readings, key=lambda reading: reading.spreads_off)
    assert worst.z_mm == 0
    assert worst.spreads_off > 3


@settings(max_examples=20)
@given(st.lists(st.floats(0, 130), min_size=5, max_size=5))
def test_whatever_gaps_are_read_something_is_learned_from_them(gaps):
    _, pattern = planned(Target())
    lacing = Lacing(pattern, MOCK_UP_STACK, MOCK_EDGE, 180, PRACTICE)
    believed, _ = learn(BODY, [Tried(1, lacing, np.array(HEIGHTS, float), np.array(gaps), np.full(5, 3.0))])
    assert all(300 < level.girth_mm < 1400 and level.spread_mm > 0 for level in believed)


def test_friction_holds_up_what_the_model_says():
    # T 80 N/m over 0.30 m holds 45 N: 0.3 · 2π · 80 · 0.30
    _, pattern = planned(Target(job="none"))
    found = fit(Lacing(pattern, Stack(), 57.6, 80, PRACTICE), BODY.model_copy(update={"friction": 0.0}))
    height = (TOP.cb_mm - HEM.cb_mm) / 1000
    assert found.holds_up_n == pytest.approx(0.3 * 2 * np.pi * 80 * height, rel=0.01)
    assert 0.3 * 2 * np.pi * 80 * 0.30 == pytest.approx(45, abs=0.5)
