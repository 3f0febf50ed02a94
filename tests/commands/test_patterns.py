"""Edits, drawings and refits as decisions on a build: versions begin, are drawn on, are fixed and stay (model, 5)."""

import pytest

from fuseau.commands.fittings import log_fitting
from fuseau.commands.patterns import edit_pattern, read_edit, refit_from
from fuseau.commands.versions import cut_version, fix_version, go_back
from fuseau.craft.base.errors import Unmakeable
from fuseau.document.build import Build
from tests.conftest import edited
from tests.kinds import built
from tests.planning.test_pipeline import READINGS
from tests.plans import plan
from tests.saying import refused, said

POINT = {"kind": "point", "end": "top", "place": 0, "z_mm": "12"}
SEAM = {"kind": "seam", "seam": 2, "at_mm": 0, "amount_mm": "3 mm"}


def drawn(build, today, *edits, unit="cm"):
    return edit_pattern(build, plan(build), list(edits), today, unit)


def test_an_edit_of_a_draft_keeps_what_was_drafted_and_no_wish_overrides_it(measured, today):
    wished = edited(measured, draft__top__cf_mm=100)
    after = drawn(wished, today, POINT)
    assert after.current.pattern.top.cf_mm == 120
    assert after.draft.top.cf_mm is None
    found = plan(after)
    assert found.pattern.top.cf_mm == 120
    assert found.proposal is None


def test_inches_are_read_in_edits(measured, today):
    after = drawn(measured, today, {**POINT, "z_mm": "4 3/4"}, unit="in")
    assert after.current.pattern.top.cf_mm == pytest.approx(120.65)


def test_a_take_in_by_hand_stands_and_what_it_does_to_the_gap_is_told_once(measured, today):
    after = drawn(cut_version(measured, plan(measured), today), today, {**SEAM, "amount_mm": "-4 mm"})
    found = plan(after)
    assert after.current.reason == "edited by hand"
    assert found.gap_shape.mean_mm > 52
    assert found.proposal is None
    told = [said(one.sentence) for one in found.findings if one.code == "by_hand"]
    assert len(told) == 1
    assert "by hand" in told[0]
    back = drawn(after, today, {**SEAM, "amount_mm": "4 mm"})
    assert not [one for one in plan(back).findings if one.code == "by_hand"]
    assert back.current.pattern.decided == ()


def test_trying_a_version_on_fixes_it(measured, today):
    after = drawn(measured, today, SEAM)
    assert not after.current.cut
    tried = log_fitting(after, plan(after), {"pull": "close", "readings": READINGS}, today, "cm")
    assert tried.current.cut
    assert len(drawn(tried, today, SEAM).versions) == 2
    with refused("still drawn on"):
        fix_version(tried)


def test_going_back_and_editing_leaves_every_older_version_as_it_was(measured, today):
    first = fix_version(drawn(measured, today, SEAM))
    second = fix_version(drawn(first, today, POINT))
    back = go_back(second, 1, today)
    third = drawn(back, today, {"kind": "split", "panel": 3})
    assert third.versions[:2] == second.versions
    assert third.versions[2].pattern == first.versions[0].pattern
    assert len(third.versions[3].pattern.panels) == 7
    assert third.draft.panels == 7
    assert plan(third).proposal is None or not plan(third).proposal.redraft


def test_nothing_can_be_edited_before_there_is_a_pattern(today):
    with refused("measures come first"):
        drawn(Build(), today, SEAM)


@pytest.mark.parametrize(
    ("given", "at"),
    [
        ({"kind": "seam", "seam": 2, "at_mm": 0}, "edit.amount_mm"),
        ({"kind": "width", "panel": 2, "level": "knee", "width_mm": 50}, "edit.level"),
        ({"kind": "gusset", "seam": 2, "end": "side", "width_mm": 30, "depth_mm": 80}, "edit.end"),
        ({"kind": "point", "end": "top", "place": 7, "z_mm": 100}, "edit.place"),
        ({}, "edit."),
    ],
)
def test_an_edit_that_cannot_be_read_names_its_field(given, at):
    with pytest.raises(Unmakeable) as caught:
        read_edit(given, "cm")
    assert caught.value.at.startswith(at)


def test_a_refit_needs_measures_a_pattern_and_the_same_kind(measured, today):
    other = built("underbust corset", brief__name="Older")
    with refused("measures come first"):
        refit_from(Build(), plan(Build()), other, plan(other), today)
    with refused("has no pattern yet"):
        refit_from(measured, plan(measured), Build(), plan(Build()), today)
    collar = built("neck corset")
    with refused("make them alike first"):
        refit_from(measured, plan(measured), collar, plan(collar), today)
    done = refit_from(measured, plan(measured), other, plan(other), today)
    assert done.current.reason == "refitted from Older"
    assert not done.current.cut


def test_an_edited_asymmetric_pattern_is_planned_printed_and_altered(measured, today):
    from fuseau.files.svg import pattern_svg

    parted = drawn(
        measured,
        today,
        {**SEAM, "side": "left"},
        {"kind": "gusset", "seam": 4, "end": "hem", "width_mm": "4", "depth_mm": "8"},
    )
    found = plan(parted)
    assert found.pattern.left_panels is not None
    assert 'id="panel-2-left"' in pattern_svg(parted, found)
    tried = log_fitting(parted, found, {"pull": "close", "readings": READINGS}, today, "cm")
    proposal = plan(tried).proposal
    assert proposal is not None
    assert proposal.pattern.left is not None
    before, after = tried.current.pattern, proposal.pattern
    for old, new in zip(before.left.panels, after.left.panels, strict=True):
        right_old, right_new = before.panels[old.number - 1], after.panels[old.number - 1]
        moved = [b - a for a, b in zip(old.cb_edge_mm, new.cb_edge_mm, strict=True)]
        assert moved == pytest.approx([b - a for a, b in zip(right_old.cb_edge_mm, right_new.cb_edge_mm, strict=True)])
