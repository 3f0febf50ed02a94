"""Readiness and what a fitting may hold, through the plan."""

import pytest

from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import accept, cut_version
from fuseau.planning.asked.readiness import ready
from fuseau.planning.cache import StageCache
from tests.kinds import built
from tests.planning.test_pipeline import READINGS
from tests.plans import plan
from tests.saying import unread


def test_readiness_needs_a_pattern_and_is_the_same_each_time(measured, today):
    from fuseau.document.build import Build

    assert ready(Build()) is None
    tied = ready(built("neck corset"))
    assert set(tied.fails) == {"top edge", "bottom edge"}
    assert 0.2 < tied.probability < 0.95
    first = ready(measured)
    assert first == ready(measured)
    kept = StageCache()
    assert ready(measured, cache=kept) == ready(measured, cache=kept) == first


def test_a_fitting_and_its_change_make_the_real_garment_more_likely_to_fit(measured, today):
    before = ready(measured)
    tried = log_fitting(measured, plan(measured), {"pull": "close", "readings": READINGS}, today, "cm")
    after = ready(tried)
    assert after.probability > before.probability
    accepted = accept(tried, plan(tried), today)
    assert ready(accepted).probability == pytest.approx(after.probability, abs=0.05)


def test_words_alone_are_a_fitting_and_places_not_covered_are_refused(measured, today):
    cut = cut_version(measured, plan(measured), today)
    words = [{"level": "underbust", "word": "digs"}]
    tried = log_fitting(cut, plan(cut), {"pull": "close", "readings": [], "words": words}, today, "cm")
    learned = {level.name: level for level in plan(tried).learned.levels}
    assert learned["underbust"].believed_mm > learned["underbust"].measured_mm
    with unread("does not cover"):
        log_fitting(
            cut, plan(cut), {"pull": "close", "readings": [], "words": [{"level": "bust", "word": "digs"}]}, today, "cm"
        )
    with unread("or how it sat, in words"):
        log_fitting(cut, plan(cut), {"pull": "close", "readings": []}, today, "cm")


def test_small_changes_are_gathered_where_scissors_can_hold_them(measured, today):
    slight = [{"z_mm": 95, "gap_mm": 46}, {"z_mm": 0, "gap_mm": 44}, {"z_mm": -110, "gap_mm": 30}]
    tried = log_fitting(measured, plan(measured), {"pull": "close", "readings": slight}, today, "cm")
    proposal = plan(tried).proposal
    assert {mark.seam for mark in proposal.marks} == {"3·4"}  # the side seam
    assert max(mark.cf_side_mm for mark in proposal.marks) > 1
    for name, change in proposal.sewn_change_mm.items():
        old = next(level.closed_mm for level in plan(tried).levels if level.name == name)
        shape = proposal.pattern.shape
        new = float(shape.sewn_girth(shape.nominal)[proposal.pattern.stations_named()[name]])
        assert old is None or new - old == pytest.approx(change, abs=1e-6)
