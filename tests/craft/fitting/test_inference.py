"""What a fitting teaches: derivatives, invariants, words, readiness, and the stand to fit on (model, section 6)."""

import dataclasses

import numpy as np
import pytest

from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.equilibrium import settle, settle_many
from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.target import Target
from fuseau.craft.fitting.inference import believed_without, infer, linearise
from fuseau.craft.fitting.readiness import Wish, readiness
from fuseau.craft.fitting.seen import WORDS, Sight, see, untried
from fuseau.craft.fitting.unknowns import Unknowns
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.craft.wearer.body import believe
from fuseau.craft.wearer.measures import TORSO, Zones
from fuseau.stand_ins.fitted_stand import HARSH_FLESH, KIND_FLESH, TrueBody, hidden, lace_up, notice, passes
from tests.craft.fit.test_fit import BODY, HEIGHTS, planned, tried_on
from tests.craft.pattern.test_pattern import WEARER
from tests.saying import said

PRACTICE = Practice()
AIMED, PATTERN = planned(Target())
FINAL = Lacing(PATTERN, tried_on(PATTERN, BODY, HEIGHTS).lacing.stack, 57.6, AIMED.pull_n_per_m, PRACTICE)


def with_all(tried, **more):
    words = ((0.0, *WORDS["right"]), (-60.0, *WORDS["firm"]))
    return dataclasses.replace(tried, words=words, laced_mm=((0.0, 652.0, 5.0),), **more)


def setting(*tried):
    """The unknowns of these lacings, somewhere off their prior, and the lacings as they are looked at."""
    unknowns = Unknowns.of(
        BODY, PRACTICE, (CLOTHS["coutil"], CLOTHS["calico"]), [one.number for one in tried], [0.2] * len(tried)
    )
    off = np.linalg.cholesky(unknowns.covariance) @ np.random.default_rng(4).normal(0, 0.12, unknowns.count)
    return unknowns, [Sight(one, BODY, unknowns.nodes) for one in tried], unknowns.mean + off


def test_every_derivative_is_that_of_settling_anew():
    unknowns, sights, at = setting(with_all(tried_on(PATTERN, BODY, HEIGHTS)))
    seen = see(at, unknowns, sights[0], 0, None)
    spreads = np.sqrt(np.diag(unknowns.covariance))
    for k in range(len(at)):
        step = 0.01 * spreads[k]
        ahead, behind = (
            see(at + sign * step * np.eye(len(at))[k], unknowns, sights[0], 0, seen.gap_mm) for sign in (1, -1)
        )
        for name, found in (("gap_mm", seen.gap_by), ("pressure_kpa", seen.pressure_by), ("hoop_mm", seen.hoop_by)):
            difference = (getattr(ahead, name) - getattr(behind, name)) / (2 * step)
            scale = np.abs(difference).max() + 1e-6
            assert np.abs(found[:, k] - difference).max() < 0.02 * scale + 1e-4, (k, name)


def test_the_gradient_is_that_of_the_cost_for_what_is_laced_twice_and_what_is_tied():
    read = with_all(tried_on(PATTERN, BODY, HEIGHTS, noise=np.full(5, 6.0)))
    light = dataclasses.replace(read, lacing=dataclasses.replace(read.lacing, pull_n_per_m=100))
    tied = dataclasses.replace(
        read, number=2, lacing=dataclasses.replace(read.lacing, tied_mm=0.0), words=(), room_mm=((0.0, 20.0, 5.0),)
    )
    unknowns, sights, at = setting(read, light, tied)
    here = linearise(at, unknowns, sights)
    spreads = np.sqrt(np.diag(unknowns.covariance))
    for k in range(len(at)):
        step = 0.01 * spreads[k]
        costs = [linearise(at + sign * step * np.eye(len(at))[k], unknowns, sights).cost for sign in (1, -1)]
        difference = (costs[0] - costs[1]) / (2 * step)
        assert here.gradient[k] == pytest.approx(difference, rel=0.03, abs=0.02), k


def test_a_single_misread_of_a_centimetre_is_named_and_hardly_counts():
    plain = tried_on(PATTERN, BODY, HEIGHTS)
    wrong = dataclasses.replace(plain, gap_mm=plain.gap_mm + np.array([0, 0, 14, 0, 0]))
    true, misread = (infer(BODY, [one]) for one in (plain, wrong))
    moved = np.abs(misread.body.girths_mm - true.body.girths_mm)
    assert moved.max() < 5
    off = [reading.spreads_off for reading in misread.learned.readings]
    assert int(np.argmax(off)) == 2
    assert off[2] > 2.5


def test_spreads_widen_when_what_was_read_agrees_less_than_it_should():
    plain = tried_on(PATTERN, BODY, HEIGHTS)
    rough = dataclasses.replace(plain, gap_mm=plain.gap_mm + np.array([9, -9, 9, -9, 9]))
    true, misread = (infer(BODY, [one]) for one in (plain, rough))
    assert true.learned.misfit < 1 < misread.learned.misfit
    assert np.diag(misread.covariance).sum() > np.diag(true.covariance).sum()


def test_a_cloth_never_shrinks_and_what_it_taught_goes_on_only_in_the_same_cloth():
    read = tried_on(PATTERN, BODY, HEIGHTS)
    wide = dataclasses.replace(read, gap_mm=read.gap_mm - 14, laced_mm=((0.0, 690.0, 2.0), (-60.0, 742.0, 2.0)))
    belief = infer(BODY, [wide])
    by_name = {one.cloth: one for one in belief.learned.cloths}
    assert by_name["calico"].believed_share > by_name["calico"].usual_share
    assert by_name["coutil"].believed_share == pytest.approx(by_name["coutil"].usual_share, rel=0.05)
    for noise in (-40.0, 40.0):
        found = infer(BODY, [dataclasses.replace(read, gap_mm=np.maximum(read.gap_mm + noise, 0))])
        assert all(one.believed_share > 0 for one in found.learned.cloths)


def test_two_pulls_of_one_evening_tell_a_girth_from_a_give():
    read = tried_on(PATTERN, BODY, HEIGHTS)
    lacing = dataclasses.replace(read.lacing, pull_n_per_m=100)
    found = fit(lacing, BODY)
    light = dataclasses.replace(read, lacing=lacing, gap_mm=np.array([found.gap_at(z) for z in HEIGHTS]))
    girth = BODY.index_of_zero
    give = len(BODY.levels) + girth

    def unknown(*tried):  # what of the waist's girth and give still goes together
        block = infer(BODY, list(tried)).covariance[np.ix_([girth, give], [girth, give])]
        return float(np.linalg.det(block))

    assert unknown(read, light) < 0.9 * unknown(read)


def test_more_fittings_never_widen_a_spread_and_all_count_together():
    one = tried_on(PATTERN, BODY, HEIGHTS)
    spreads = [
        np.sqrt(np.diag(infer(BODY, [dataclasses.replace(one, number=k + 1) for k in range(count)]).covariance))
        for count in (0, 1, 2, 4)
    ]
    for fewer, more in zip(spreads, spreads[1:], strict=False):
        assert (more <= fewer + 1e-9).all()
    assert spreads[3].sum() < spreads[1].sum() < spreads[0].sum()


def test_a_harder_pull_than_was_said_is_seen_and_the_body_is_not_blamed_for_all_of_it():
    lacing = tried_on(PATTERN, BODY, HEIGHTS).lacing
    harder = dataclasses.replace(lacing, pull_n_per_m=180 * 1.35)
    found = fit(harder, BODY)
    read = dataclasses.replace(tried_on(PATTERN, BODY, HEIGHTS), gap_mm=np.array([found.gap_at(z) for z in HEIGHTS]))
    learned = infer(BODY, [read, dataclasses.replace(read, number=2)]).learned
    assert all(182 < pull.believed_n_per_m < 180 * 1.35 for pull in learned.pulls)


def test_words_alone_teach_something_and_little():
    tried = dataclasses.replace(
        tried_on(PATTERN, BODY, HEIGHTS),
        z_mm=np.zeros(0),
        gap_mm=np.zeros(0),
        spread_mm=np.zeros(0),
        words=((96.0, *WORDS["digs"]),),
    )
    found = infer(BODY, [tried])
    under = next(level for level in found.learned.levels if level.name == "underbust")
    assert under.believed_mm > under.measured_mm + 0.5
    assert under.believed_spread_mm > 0.6 * under.measured_spread_mm


def test_readiness_is_the_same_for_the_same_seed_and_rises_with_what_is_known():
    vague = infer(BODY, [])
    known = infer(BODY, [with_all(tried_on(PATTERN, BODY, HEIGHTS))] * 1)
    before, after = (readiness(belief, FINAL, Wish(50.0), seed=3) for belief in (vague, known))
    assert before == readiness(vague, FINAL, Wish(50.0), seed=3)
    assert 0 <= before.probability <= 1
    assert before.draws == 200
    assert set(before.fails) == {"mean gap", "tilt", "bow", "stand-off", "pressure"}
    assert len(before.gap_low_mm) == len(FINAL.z)
    assert all(low <= high for low, high in zip(before.gap_low_mm, before.gap_high_mm, strict=True))
    assert after.probability >= before.probability - 0.05
    assert "of 100 would fit if cut now" in said(before.sentence)


def test_a_certain_belief_in_a_good_pattern_is_ready_and_in_a_bad_one_is_not():
    sure = infer(BODY, [])
    sure = dataclasses.replace(sure, covariance=sure.covariance * 1e-6)
    good = readiness(sure, FINAL, Wish(float(planned_gap())), seed=1)
    assert good.probability == 0.99
    assert good.advice == "cut the cloth"
    bad = readiness(sure, FINAL, Wish(float(planned_gap()) + 30), seed=1)
    assert bad.probability == 0.0
    assert bad.worst == "mean gap"


def planned_gap():
    return fit(FINAL, BODY).shape.mean_mm


def test_the_stand_of_the_kind_world_agrees_with_the_model_and_the_harsh_one_does_not():
    taped = believe(WEARER, Zones(), PRACTICE, TORSO)
    girths = np.array([level.girth_mm for level in taped])
    gives = np.array([level.give for level in taped])
    lacing = tried_on(PATTERN, BODY, HEIGHTS).lacing
    stretch = lacing.stretch_on(taped) - 1
    kind = lace_up(
        TrueBody(girths, gives, 0.0, KIND_FLESH, friction=taped.friction), taped, lacing, lacing.pull_n_per_m, stretch
    )
    assert kind.gap_mm == pytest.approx(np.array(fit(lacing, taped).gap_mm), abs=0.1)
    harsh = lace_up(TrueBody(girths, gives, 0.0, HARSH_FLESH, 5.0, 0.2), taped, lacing, lacing.pull_n_per_m, stretch)
    assert np.abs(harsh.gap_mm - kind.gap_mm).max() > 3


def test_a_hidden_body_is_seeded_and_its_fittings_are_noisy_but_honest():
    taped = believe(WEARER, Zones(), PRACTICE, TORSO)
    one, same, other = (hidden(taped, "harsh", seed, 9, 0.3, 0.04) for seed in (5, 5, 6))
    assert (one.girths_mm == same.girths_mm).all()
    assert (one.girths_mm != other.girths_mm).any()
    lacing = tried_on(PATTERN, BODY, HEIGHTS).lacing
    seen = lace_up(one, taped, lacing, 180, 0.01)
    reads = np.array([notice(seen, taped, np.array(HEIGHTS, float), k).gaps for k in range(200)])[:, :, 1]
    truth = np.interp(HEIGHTS, seen.z_mm, seen.gap_mm)
    assert reads.mean(axis=0) == pytest.approx(truth, abs=1.2)
    assert set(passes(seen, taped, Wish(50), PRACTICE)) == {"mean gap", "tilt", "bow", "stand-off", "pressure"}


def test_the_cloth_is_cut_only_at_odds_that_hold_where_bodies_differ_from_the_model():
    belief = infer(BODY, [])
    found = [
        readiness(dataclasses.replace(belief, covariance=belief.covariance * share), FINAL, Wish(planned_gap()), seed=2)
        for share in (1.0, 0.3, 0.1, 0.03, 0.01, 1e-4)
    ]
    assert [one.probability for one in found] == sorted(one.probability for one in found)
    assert {one.advice for one in found} >= {"cut the cloth"}
    for one in found:
        assert (one.advice == "cut the cloth") == (one.probability >= 0.95)


@pytest.mark.parametrize("world", ["kind", "harsh", "family"])
def test_every_stand_can_be_laced_and_the_lace_is_carried_by_what_is_squeezed(world):
    lacing = tried_on(PATTERN, BODY, HEIGHTS).lacing
    weight = np.full(len(lacing.z), lacing.z[1] - lacing.z[0])
    weight[[0, -1]] /= 2
    for seed in range(150):
        true = hidden(BODY, world, seed, 9, 0.3, 0.04)
        pull = lacing.pull_n_per_m * float(np.exp(np.random.default_rng(seed).normal(0, 0.2)))
        seen = lace_up(true, BODY, lacing, pull, true.stretch)
        assert seen.gap_mm.min() >= 0
        carried = weight @ (seen.pressure_kpa * seen.hoop_mm) / (2 * np.pi)
        pulled = (
            weight.sum()
            * pull
            * (1 - true.friction * weight @ np.abs(lacing.z) / weight.sum() / np.abs(lacing.z).max())
        )
        # edges that bend carry nothing on the whole; where they touch, they hold what is left
        assert carried <= pulled * 1.01
        if seen.gap_mm.min() > 0.01 and not true.harder_at_waist:
            assert carried == pytest.approx(pulled, rel=1e-3)


# --- many bodies at once


def test_bodies_that_are_drawn_lie_side_by_side_as_each_by_itself():
    belief = infer(BODY, [tried_on(PATTERN, BODY, HEIGHTS)])
    drawn = belief.drawn(12, 3)
    holds, comfort = belief.holds(FINAL, drawn)
    assert len(holds) == len(comfort) == 12
    sight, unknowns = Sight(untried(FINAL), belief.unknowns.prior, belief.unknowns.nodes), belief.unknowns
    for k, sample in enumerate(drawn):
        seat = sample[unknowns.seat].copy()
        seat[0] = round(2 * seat[0]) / 2
        alone, beside = sight.hold(sample, unknowns, seat, FINAL.pull_n_per_m), holds[k]
        for name in ("natural_mm", "give", "sewn_mm", "pull_n_per_m", "pressure_scale_kpa", "stiffening"):
            assert getattr(beside, name) == pytest.approx(getattr(alone, name), rel=1e-9), name
        assert comfort[k] == pytest.approx(np.exp(sample[unknowns.comfort] - belief.mean[unknowns.comfort]))


def test_where_they_settle_is_about_foreseen_and_wherever_one_begins_it_is_the_same():
    belief = infer(BODY, [tried_on(PATTERN, BODY, HEIGHTS)])
    drawn = belief.drawn(40, 5)
    holds, _ = belief.holds(FINAL, drawn)
    near = belief.near(FINAL, drawn)
    settled = settle_many(holds, near)
    assert settled.balanced.all()
    assert np.median(np.abs(settled.gap_mm - np.maximum(near, 0))) < 3
    for begin in (None, np.zeros_like(near), near + 60.0):
        again = settle_many(holds, begin)
        assert again.gap_mm == pytest.approx(settled.gap_mm, abs=0.01)
        assert again.pressure_kpa == pytest.approx(settled.pressure_kpa, abs=0.01)
    by_itself = settle(holds[7])
    assert settled.gap_mm[7] == pytest.approx(by_itself.gap_mm, abs=0.01)


def test_what_was_known_before_the_last_fitting_is_as_if_it_had_not_been():
    """One Newton step without it, beside the whole search without it."""
    first, last = (dataclasses.replace(tried_on(PATTERN, BODY, HEIGHTS), number=number) for number in (1, 2))
    shifted = dataclasses.replace(last, gap_mm=last.gap_mm + 6)
    both, before = infer(BODY, [first, shifted]), infer(BODY, [first])
    expected = fit(shifted.lacing, before.body)
    assert both.foreknown_mm == pytest.approx([expected.gap_at(z) for z in shifted.z_mm], abs=2.0)
    assert believed_without(both, [first], (), ()).girths_mm == pytest.approx(before.body.girths_mm, abs=1.0)
    assert infer(BODY, []).foreknown_mm is None


def test_odds_hardly_move_with_what_hardly_moves_what_is_believed():
    """A reading that differs by a fiftieth of a millimetre: the same bodies are drawn, but for that much."""
    tried = tried_on(PATTERN, BODY, HEIGHTS)
    wish = Wish(tuple(fit(FINAL, BODY).gap_mm))
    drawn, found = [], []
    for step in range(6):
        belief = infer(BODY, [dataclasses.replace(tried, gap_mm=tried.gap_mm + 0.02 * step)])
        drawn.append(belief.drawn(200, 1))
        found.append(readiness(belief, FINAL, wish).probability)
    assert 0.05 < found[0] < 0.98  # where many draws are near the bounds
    assert max(found) - min(found) <= 0.015
    spread = drawn[0].std(axis=0)
    assert np.abs(drawn[5] - drawn[0]).max() < 0.1 * spread.max()
