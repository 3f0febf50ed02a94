"""What is written down at a fitting, and what follows from it through the plan."""

import dataclasses

import numpy as np
import pytest
from pydantic import ValidationError

from fuseau.commands.fittings import correct_fitting, log_fitting, set_line
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.wearer.measures import Wearer
from fuseau.planning.asked.readiness import ready
from fuseau.planning.fittings import observations
from fuseau.planning.fittings.evidence import stale_versions
from fuseau.planning.fittings.observations import InferenceInputs, tried_on, widened
from fuseau.planning.fittings.story import story
from tests.kinds import built
from tests.planning.test_pipeline import READINGS
from tests.plans import plan
from tests.saying import refused, said, unread


@pytest.fixture(scope="module")
def cut(request):
    import datetime

    from fuseau.document.build import Build
    from tests.conftest import MEASURES

    build = Build.model_validate({"wearer": {**MEASURES, "new_to_lacing": False}})
    return cut_version(build, plan(build), datetime.date(2026, 11, 2))


def logged(build, today, **fitting):
    given = {"pull": "close", "readings": READINGS, **fitting}
    return log_fitting(build, plan(build), given, today, "cm")


def spreads(build):
    return {level.name: level.believed_spread_mm for level in plan(build).learned.levels}


def codes(build):
    return {finding.code: finding for finding in plan(build).findings}


# --- what counts, and for how much


def test_a_poor_mock_up_teaches_less(cut, today):
    good = logged(cut, today)
    bare = logged(cut, today, made_of={"boned": False, "edge_bone": "cable_tie_8"})
    thin = logged(cut, today)
    assert widened(good, good.fittings[0]) in (1.0, good.practice.thin_wider)
    assert widened(bare, bare.fittings[0]) == widened(good, good.fittings[0]) * bare.practice.unboned_wider
    (as_good,), (as_bare,) = (tried_on(InferenceInputs.of(one, plan(cut).body)) for one in (good, bare))
    assert as_bare.spread_mm == pytest.approx(2 * as_good.spread_mm)
    assert as_bare.lacing.edge_n_m2 == bare.practice.bare_edge_n_m2
    assert "poor_mock_up" in codes(bare)
    assert thin.fittings[0].made_of.stack.strength == "calico"


def test_without_lacing_the_gap_means_nothing(cut, today):
    body = plan(cut).body
    opened = logged(cut, today, made_of={"closing": "open"}, words=[{"level": "waist", "word": "digs"}])
    learned = plan(opened).learned
    assert all(level.believed_mm == pytest.approx(level.measured_mm, abs=1e-6) for level in learned.levels)
    assert plan(opened).body.girths_mm == pytest.approx(body.girths_mm)
    assert "unlaced" in codes(opened)


def test_a_pinned_closing_reads_finer_and_pulls_anyhow(cut, today):
    pinned = logged(cut, today, made_of={"closing": "pinned"})
    (tried,) = tried_on(InferenceInputs.of(pinned, plan(cut).body))
    assert set(tried.spread_mm) <= {2.0, 3.0}
    assert tried.pull_spread == pinned.practice.pinned_pull_spread


def test_a_photo_brings_its_own_spread(cut, today):
    fine = [{**reading, "spread_mm": 0.8} for reading in READINGS]
    coarse = [{**reading, "spread_mm": 25} for reading in READINGS]
    assert sum(spreads(logged(cut, today, readings=fine)).values()) < sum(
        spreads(logged(cut, today, readings=coarse)).values()
    )


def test_only_words_teach_and_it_is_said_how_little(cut, today):
    taps = [{"view": "side", "z_mm": 90, "across": 0.4, "word": "digs"}]
    worded = logged(cut, today, readings=[], taps=taps)
    under = next(one for one in plan(worded).learned.levels if one.name == "underbust")
    assert under.believed_mm > under.measured_mm
    assert "words_only" in codes(worded)


def test_taps_at_any_height_count_like_words_at_a_level(cut, today):
    level = plan(cut).body["waist"].back_mm
    by_word = logged(cut, today, words=[{"level": "waist", "word": "firm"}])
    by_tap = logged(cut, today, taps=[{"view": "back", "z_mm": level, "across": 0.2, "word": "firm"}])
    assert spreads(by_word) == pytest.approx(spreads(by_tap))


def test_what_was_pinched_is_taken_out_and_what_was_slashed_let_out_and_neither_says_anything_of_her(cut, today):
    at_hip = {"from_mm": -120, "to_mm": -60, "amount_mm": 9}
    plain, pinched = logged(cut, today), logged(cut, today, pinches=[{"seam": 3, **at_hip}, {"seam": 4, **at_hip}])
    was, now = (plan(one) for one in (plain, pinched))
    assert now.body["high_hip"].girth_mm == pytest.approx(was.body["high_hip"].girth_mm, abs=0.5)
    out = now.proposal.sewn_change_mm["high_hip"] - was.proposal.sewn_change_mm["high_hip"]
    assert out == pytest.approx(-36, abs=3)
    slashed = plan(logged(cut, today, pinches=[{"seam": 3, **at_hip, "amount_mm": -9}]))
    let_out = slashed.proposal.sewn_change_mm["high_hip"] - was.proposal.sewn_change_mm["high_hip"]
    assert let_out == pytest.approx(18, abs=2)


def test_where_it_sat_is_of_that_evening_and_lasts_more_once_it_is_said_again(cut, today):
    up, down = (logged(cut, today, rides_mm=mm) for mm in (9, -9))
    assert plan(down).body.ride_mm + 0.5 < plan(up).body.ride_mm
    assert plan(logged(up, today, rides_mm=9)).body.ride_mm > plan(up).body.ride_mm + 0.3


# --- edges, side seam, movement


def test_an_edge_too_high_is_lowered_once_and_stays_so(cut, today):
    was = cut.current.pattern.top
    tried = logged(cut, today, edges=[{"edge": "top", "place": "side", "off_mm": 12}])
    proposal = plan(tried).proposal
    assert proposal.edges_change
    assert proposal.pattern.top.side_mm == pytest.approx(was.side_mm - 12)
    assert proposal.pattern.top.cf_mm == was.cf_mm
    accepted = accept(tried, plan(tried), today)
    assert accepted.current.pattern.top.side_mm == pytest.approx(was.side_mm - 12)
    again = plan(accepted).proposal
    assert again is None or not again.edges_change


def test_a_side_seam_that_swings_forward_widens_the_front_and_keeps_the_girth(cut, today):
    plain, swung = (plan(logged(cut, today, **more)).proposal.pattern for more in ({}, {"swings_mm": 8}))
    z = np.array([0.0, 80.0])
    assert (swung.shape.front_half(z) - plain.shape.front_half(z)) == pytest.approx([8, 8], abs=2.5)
    assert swung.shape.sewn_girth(z) == pytest.approx(plain.shape.sewn_girth(z), abs=1.5)  # in steps of a mark


@pytest.mark.parametrize("test", ["sit", "bend", "breathe", "raise arms", "turn the head"])
def test_what_she_could_not_do_is_told_with_a_mend_that_moves_something(cut, today, test):
    from fuseau.commands.fields import change

    tried = logged(cut, today, moved=[{"test": test, "went": "not"}])
    finding = codes(tried)[f"moved_{test.replace(' ', '_')}"]
    assert finding.mend is not None
    mended = change(tried, list(finding.mend.changes), "cm")
    assert plan(mended).proposal.pattern != plan(tried).proposal.pattern
    if test == "breathe":
        assert finding.severity == "stop"
        assert "breathlessness" in said(finding.sentence)
    well = logged(cut, today, moved=[{"test": test, "went": "well"}])
    assert f"moved_{test.replace(' ', '_')}" not in codes(well)


# --- what cannot be


@pytest.mark.parametrize(
    ("wrong", "words"),
    [
        ({"readings": [{"z_mm": 300, "gap_mm": 40}, *READINGS]}, "outside the lacing edge"),
        ({"readings": [{"z_mm": 0, "gap_mm": -4}, *READINGS[:1]]}, "can't be below|at least|0"),
        ({"readings": [{"z_mm": 0, "gap_mm": 30}, {"z_mm": 0, "gap_mm": 50}, *READINGS[:1]]}, "two readings at"),
        ({"taps": [{"view": "front", "z_mm": 260, "across": 0.5, "word": "digs"}]}, "does not cover her there"),
        ({"pinches": [{"seam": 7, "from_mm": 0, "to_mm": 60, "amount_mm": 5}]}, "has no seam"),
        ({"pinches": [{"seam": 2, "from_mm": 0, "to_mm": 4, "amount_mm": 5}]}, "where it begins and ends"),
        ({"pinches": [{"seam": 2, "from_mm": 0, "to_mm": 390, "amount_mm": 5}]}, "off the garment"),
        ({"moved": [{"test": "sit", "went": "well"}, {"test": "sit", "went": "not"}]}, "said twice"),
        ({"readings": []}, "or how it sat, in words"),
    ],
)
def test_what_cannot_be_is_told_at_its_field(cut, today, wrong, words):
    with unread(words):
        logged(cut, today, **wrong)


def test_gaps_written_upside_down_are_noticed(cut, today):
    mock_up = plan(cut).mock_up
    heights = (95, 50, 0, -50, -110)
    gaps = [mock_up.gap_at(z) + z * 0.22 for z in heights]
    right = [{"z_mm": z, "gap_mm": gap} for z, gap in zip(heights, gaps, strict=True)]
    wrong = [{"z_mm": z, "gap_mm": gap} for z, gap in zip(heights, gaps[::-1], strict=True)]
    twice = logged(logged(cut, today, readings=right), today, readings=right)
    assert "upside_down" not in codes(twice)
    assert codes(logged(twice, today, readings=wrong))["upside_down"].where == "Fitting 3"


# --- correcting, and the change line by line


def test_a_corrected_fitting_marks_what_followed(cut, today):
    tried = logged(cut, today)
    second = accept(tried, plan(tried), today)
    third = logged(second, today)
    third = accept(third, plan(third), today) if plan(third).proposal else third
    assert stale_versions(third) == {}
    mended = correct_fitting(third, 1, {"readings": [{"z_mm": z, "gap_mm": 70} for z in (90, 0, -110)]}, "cm")
    assert mended.fittings[0].corrected == 1
    assert set(stale_versions(mended)) == {version.number for version in mended.versions[1:]}
    assert "stale_version" in codes(mended)
    assert plan(mended).stale == tuple(stale_versions(mended))
    assert mended.versions == third.versions
    assert correct_fitting(mended, 1, {}, "cm") == mended
    with refused("no fitting 9"):
        correct_fitting(mended, 9, {}, "cm")


def test_an_older_version_can_be_tried_on_again_and_one_that_is_not_there_cannot(cut, today):
    second = accept(first := logged(cut, today), plan(first), today)
    again = logged(second, today, version=1)
    assert [one.version for one in again.fittings] == [1, 1]
    with unread("no version 9"):
        logged(second, today, version=9)


def test_lines_are_edited_refused_and_taken_back_and_the_prediction_moves(cut, today):
    tried = logged(cut, today)
    first = plan(tried).proposal
    line = max(first.lines, key=lambda one: abs(one.cf_side_mm + one.cb_side_mm))
    where = {"seam": line.seam, "level": line.level}
    kept = set_line(tried, plan(tried), {**where, "cf_side_mm": 0, "cb_side_mm": 0}, "cm")
    after = plan(kept).proposal
    assert after.by_hand
    assert not first.by_hand
    assert after.mock_up.gap_mm != first.mock_up.gap_mm
    assert after.next_mock_up.gap_mm != first.next_mock_up.gap_mm
    assert after.final.gap_mm != first.final.gap_mm
    mine = set_line(kept, plan(kept), {**where, "cf_side_mm": "3 mm", "cb_side_mm": "2 mm"}, "cm")
    (kept,) = mine.line_edits
    assert (kept.cf_side_mm, kept.cb_side_mm) == (3, 2)
    accepted = accept(mine, plan(mine), today)
    assert accepted.line_edits == ()
    i = cut.current.pattern.stations_named()[line.level]
    assert accepted.current.alteration.seams[line.seam - 1].cf_side_mm[i] == 3
    back = set_line(mine, plan(mine), where, "cm")
    assert plan(back).proposal == first
    assert set_line(mine, plan(mine), None, "cm").line_edits == ()
    with refused("no such line"):
        set_line(tried, plan(tried), {"seam": 8, "level": "waist", "cf_side_mm": 1, "cb_side_mm": 1}, "cm")
    with pytest.raises(ValidationError):
        set_line(tried, plan(tried), {**where, "cf_side_mm": "lots", "cb_side_mm": 1}, "cm")


def test_more_than_the_seams_take_is_told_with_another_number_of_panels(cut, today):
    narrow = cut.model_copy(update={"practice": cut.practice.model_copy(update={"seam_cap_mm": 2.0})})
    wide = [{"z_mm": z, "gap_mm": gap} for z, gap in ((95, 130), (0, 140), (-110, 150))]
    tried = logged(narrow, today, readings=wide)
    found = plan(tried)
    assert found.proposal.left_mm
    finding = codes(tried)["seams_full"]
    assert finding.mend.changes[0].at == "draft.panels"
    assert abs(finding.numbers["left_mm"]) > 1
    # what is left over is proposed for the version after, as she was told
    following = plan(accept(tried, found, today))
    assert following.proposal is not None
    level, left = max(found.proposal.left_mm.items(), key=lambda item: abs(item[1]))
    assert following.proposal.sewn_change_mm[level] * left > 0


def test_what_comes_next_is_foreseen_with_its_spread(cut, today):
    first = logged(cut, today)
    second = logged(first, today)
    before, after = (plan(one).proposal.next_mock_up for one in (first, second))
    assert len(before.gap_mm) == len(before.gap_spread_mm) == len(before.z_mm)
    assert all(spread > 0 for spread in before.gap_spread_mm)
    assert sum(after.gap_spread_mm) < sum(before.gap_spread_mm)
    assert before.gap_mm == pytest.approx(plan(first).proposal.mock_up.gap_mm, abs=12)  # as believed of cloth and pull
    assert after.z_mm == before.z_mm


# --- the plan of the mock-up, the odds, the story


def test_the_mock_up_is_planned_and_says_how_it_differs(cut, today):
    planned = plan(cut)
    parts = {part.part: part for part in planned.mock_up_plan.parts}
    assert set(parts) == {"Cloth", "Bones", "Closing"}
    differs = planned.mock_up_plan.differs
    assert differs.take_up_mm == pytest.approx(planned.final.take_up_mm - planned.mock_up.take_up_mm)
    assert differs.stretch_mm == pytest.approx(planned.mock_up.stretch_mm - planned.final.stretch_mm)
    later = plan(logged(cut, today)).mock_up_plan
    changes = [change for part in later.parts for change in part.changes]
    assert any(change.at == "mock_up.stack.strength" for change in changes)
    assert "pinned" in said(plan(built("neck corset")).mock_up_plan.parts[-1].what)


def test_what_would_raise_the_odds_is_told_best_first(cut, today):
    found = ready(logged(cut, today))
    assert found.raises
    assert [one.probability for one in found.raises] == sorted((one.probability for one in found.raises), reverse=True)
    assert all(one.probability > found.probability for one in found.raises)
    once, reading = (
        next((x.probability for x in found.raises if x.what == what), None)
        for what in ("one more mock-up", "a reading")
    )
    assert once is not None
    assert reading is None or reading <= once + 1e-9


def test_the_story_has_a_chapter_for_the_tape_and_each_fitting(cut, today):
    tried = logged(cut, today, hours=3.5, cost=12)
    second = accept(tried, plan(tried), today)
    twice = logged(second, today)
    chapters = story(twice)
    assert [one.fitting for one in chapters] == [None, 1, 2]
    assert [one.version for one in chapters] == [None, 1, 2]
    assert chapters[1].hours == 3.5
    assert chapters[1].bought == pytest.approx(chapters[1].probability - chapters[0].probability)
    widths = [sum(level.spread_mm for level in one.levels) for one in chapters]
    assert widths == sorted(widths, reverse=True)
    assert [one.fitting for one in story(built("neck corset"))] == [None]
    assert chapters[-1].probability == plan(twice).verdict.probability == ready(twice).probability
    assert story(twice.model_copy(update={"wearer": Wearer()})) == ()
    again = logged(twice, today, version=1)
    assert [one.version for one in story(again)] == [None, 1, 2, 1]


def test_a_fitting_as_the_estimate_takes_it_stays_on_the_lacing_edge(cut, today):
    taps = [{"view": "front", "z_mm": 108, "across": 0.5, "word": "light", "off_mm": None}]
    tried = logged(cut, today, taps=taps)
    (one,) = tried_on(InferenceInputs.of(tried, plan(cut).body))
    assert one.words[0][0] <= cut.current.pattern.top.cb_mm
    assert dataclasses.is_dataclass(one)


# --- two pulls of an evening


def pulled_twice(cut, today, pull, other, wider_mm):
    gaps = [(one["z_mm"], 10 * float(one["gap_mm"].removesuffix(" cm")) + wider_mm) for one in READINGS]
    also = [{"pull": other, "readings": [{"z_mm": z, "gap_mm": gap} for z, gap in gaps]}]
    return logged(cut, today, pull=pull, also=also)


@pytest.mark.parametrize(
    ("pull", "other", "wider_mm"), [("close", "light", 14), ("close", "light", -5), ("firm", "close", -5)]
)
def test_a_lighter_pull_may_leave_a_gap_a_little_narrower(cut, today, pull, other, wider_mm):
    found = plan(pulled_twice(cut, today, pull, other, wider_mm))
    assert [one.fitting for one in found.learned.pulls] == [1, 1]


@pytest.mark.parametrize(("pull", "other", "wider_mm"), [("close", "light", -7), ("firm", "light", -4)])
def test_but_no_more_than_rounding_and_a_misread_may_do(cut, today, pull, other, wider_mm):
    with unread("a lighter pull leaves the wider gap"):
        pulled_twice(cut, today, pull, other, wider_mm)


@pytest.mark.parametrize("turn", range(6))
def test_the_quick_look_never_hides_a_reading_from_the_other_end(cut, today, turn, monkeypatch):
    """What the derivatives of all that is known expected of the last fitting, beside what was sought without it."""
    chance = np.random.default_rng(turn)
    mock_up, heights = plan(cut).mock_up, np.array([95, 50, 0, -50, -110])
    tilt, bow = chance.normal(0, 0.25), chance.normal(0, 0.001)
    gaps = np.array([mock_up.gap_at(z) for z in heights]) + tilt * heights + bow * heights**2

    def read(once):
        noisy = np.maximum(once + chance.normal(0, 1.5, 5), 0)
        return [{"z_mm": int(z), "gap_mm": float(gap)} for z, gap in zip(heights, noisy, strict=True)]

    build = logged(cut, today, readings=read(gaps))
    for last in (gaps, gaps[::-1]):
        seen = InferenceInputs.of(logged(build, today, readings=read(last)), plan(cut).body)
        found = observations.UpsideDownInputs(seen, observations.infer_belief(seen))
        quick = observations.read_upside_down(found)
        monkeypatch.setattr(observations, "_goes_with", lambda read, about: False)
        assert observations.read_upside_down(found) == quick
        monkeypatch.undo()
