"""What would save time: only what is still open, each with what it truly saves, and odds that are run with it."""

import datetime

import pytest

from fuseau.commands.fields import change
from fuseau.commands.make import do, leave_out
from fuseau.craft.making.hours import Hours
from fuseau.craft.making.rates import rates
from fuseau.document.shelf import Shelf
from fuseau.planning.stages.make import make_up
from fuseau.planning.workshop.gains import gains
from fuseau.planning.workshop.schedule import AtWork
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)
KNOWN = rates(())


def changed(build, changes):
    made = change(build, list(changes), "cm")
    return made, plan(made)


def told(build, planned=None, days=14):
    day = (TODAY + datetime.timedelta(days=days)).isoformat()
    build = edited(build, brief__needed_on=day)
    at_work = [AtWork("a", build, planned or plan(build))]
    return {
        one.title.code: one for one in gains(at_work, "a", Shelf(), Hours(), TODAY, KNOWN, changed, lambda share: None)
    }


@pytest.mark.parametrize(
    ("fields", "code"),
    [
        ({}, "gain.binding"),
        ({"back__holes": "worked_4"}, "gain.grommets"),
        ({}, "gain.panels"),
        ({"layers__method": "floating lining"}, "gain.lining"),
        ({"front__opening": "busk"}, "gain.zip"),
        ({"bones__made": "inside tape"}, "gain.channels"),
        ({}, "gain.basting"),
        ({}, "gain.try_on"),
    ],
)
def test_each_choice_saves_what_the_steps_say(fields, code):
    build = built("underbust corset", **fields)
    found = told(build)
    gain = found[code]
    made, planned = changed(build, gain.changes) if gain.changes else (build, plan(build))
    for key in gain.leave_out:
        made = leave_out(made, planned, key, "", "cm")
    before, after = make_up(build, plan(build), KNOWN).minutes_left, make_up(made, planned, KNOWN).minutes_left
    assert gain.minutes == pytest.approx(before - after)
    assert gain.probability >= gain.before - 0.05  # of a thousand runs
    shares = [round(one.probability, 2) for one in found.values()]
    assert shares == sorted(shares, reverse=True)


def test_what_is_decided_or_done_is_not_offered():
    build = built("underbust corset", make__binding="by machine", front__opening="zip")
    assert not {"gain.binding", "gain.zip", "gain.grommets", "gain.lining", "gain.channels"} & set(told(build))
    planned = plan(build)
    sewn = do(build, planned, "bind top", TODAY, "cm", also=True, anyhow=True)
    assert "gain.basting" not in told(sewn, planned)
    without = leave_out(build, planned, "try on", "she is away", "cm")
    assert "gain.try_on" not in told(without, planned)


def test_without_a_day_or_for_a_build_that_is_put_away_nothing_is_offered():
    build = built("cincher")
    at_work = [AtWork("a", build, plan(build))]
    for name in ("a", "b"):
        assert gains(at_work, name, Shelf(), Hours(), TODAY, KNOWN, changed) == ()
