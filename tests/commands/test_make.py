"""At the machine: what is done, left out, put in and logged; and what can't be, in a sentence, with nothing lost."""

import datetime

import pytest
from pydantic import ValidationError

from fuseau.commands.make import (
    do,
    drop_clock,
    leave_out,
    log,
    put_own,
    reorder,
    start,
    stop,
    take_in,
    take_own,
    undo,
    unlog,
)
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import format_length
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.stock.cut_choices import CutDone
from fuseau.planning.stages.make import known_rates, make_up, steps_of
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

DAY = datetime.date(2026, 11, 26)
NOW = datetime.datetime(2026, 11, 26, 19, 0)
BUILD = built("underbust corset")
PLAN = plan(BUILD)


def done_up_to(key, build=BUILD):
    order = make_up(build, PLAN).order
    for one in order[: order.index(key)]:
        build = do(build, PLAN, one, DAY, "cm")
    return build


def refused(step):
    with pytest.raises(Unmakeable) as told:
        step()
    return told.value.message.code, told.value.at


def test_steps_are_done_one_after_the_other_to_the_end():
    seen = make_up(BUILD, PLAN)
    assert seen.now == "mock-up 1"
    build = done_up_to("join 2-3")
    now = make_up(build, PLAN)
    assert now.now == "join 2-3"
    assert now.minutes_left < seen.minutes_left
    for key in now.order:
        build = do(build, PLAN, key, DAY, "cm")
    last = make_up(build, PLAN)
    assert (last.now, last.order, last.minutes_left, last.minutes_later) == (None, (), 0, 0)


def test_what_lacks_is_named_and_may_have_been_done_too():
    assert refused(lambda: do(BUILD, PLAN, "waist tape", DAY, "cm")) == ("make.lacks.more", "step")
    build = do(BUILD, PLAN, "waist tape", DAY, "cm", also=True)
    names = [one.step for one in build.make.done]
    assert names[-1] == "waist tape"
    assert {"join 1-2", "join 5-6", "mark", "cut coutil"} <= set(names)
    assert refused(lambda: do(build, PLAN, "waist tape", DAY, "cm")) == ("make.done_already", "step")
    assert refused(lambda: do(build, PLAN, "join 9-9", DAY, "cm")) == ("make.no_step", "step")
    # with the panels joined by then, the busk was shut out, and is told so with its ways back
    seen = {one.step.key: one for one in make_up(build, PLAN).steps}
    assert seen["front"].shut_by == ("join 1-2",)
    assert seen["front"].back[0].minutes > 0
    assert make_up(build, PLAN).lost[0] == "front"
    assert refused(lambda: do(build, PLAN, "front", DAY, "cm")) == ("make.shut", "step")
    got_in = do(build, PLAN, "front", DAY, "cm", anyhow=True)
    assert make_up(got_in, PLAN).lost == ()


def test_what_is_undone_takes_what_rests_on_it_along():
    build = done_up_to("channels 1")
    undone = undo(build, PLAN, "join 2-3", "cm")
    gone = {one.step for one in build.make.done} - {one.step for one in undone.make.done}
    assert gone == {"join 2-3", "waist tape"}
    seen = {one.step.key: one for one in make_up(build, PLAN).steps}
    assert seen["join 2-3"].undoing == ("waist tape",)
    assert seen["join 2-3"].undoing_min > 20


def test_what_the_cutting_table_tells_is_done_and_is_taken_back_there():
    cut = CutDone(on=DAY, pieces=12)
    build = edited(BUILD, cut__done={"coutil": cut.model_dump(mode="json")})
    seen = {one.step.key: one for one in make_up(build, PLAN).steps}
    assert (seen["cut coutil"].done, seen["cut coutil"].elsewhere) == (True, True)
    assert refused(lambda: undo(build, PLAN, "cut coutil", "cm")) == ("make.elsewhere", "step")


def test_only_what_may_be_left_out_is_and_comes_back():
    assert refused(lambda: leave_out(BUILD, PLAN, "waist tape", "", "cm")) == ("make.not_optional", "step")
    build = leave_out(BUILD, PLAN, "mount 1 lawn", "it does not creep", "cm")
    plan_of = make_up(build, PLAN)
    assert "mount 1 lawn" not in plan_of.order
    assert plan_of.left_out == ("mount 1 lawn",)
    assert "mount 1 lawn" in make_up(take_in(build, "mount 1 lawn", "cm"), PLAN).order


def test_her_order_is_kept_as_far_as_it_goes():
    usual = list(make_up(BUILD, PLAN).order)
    wished = [key for key in usual if not key.startswith("cut bones")]
    at = wished.index("mark")
    wished[at:at] = [key for key in usual if key.startswith("cut bones")]
    build = reorder(BUILD, PLAN, wished, "cm")
    assert list(make_up(build, PLAN).order) == wished
    against = reorder(BUILD, PLAN, ["bind hem", "bind top", *usual], "cm")
    order = make_up(against, PLAN).order
    assert order.index("bones in 1") < max(order.index("bind top"), order.index("bind hem"))
    assert refused(lambda: reorder(BUILD, PLAN, ["nothing"], "cm")) == ("make.order_gone", "order")
    assert list(make_up(reorder(build, PLAN, [], "cm"), PLAN).order) == usual


def test_a_step_of_her_own_lies_where_she_puts_it():
    given = {"name": "paint the crest", "minutes": 90, "waits_h": 24, "after": ["join 1-2"], "before": ["bind top"]}
    build = put_own(BUILD, PLAN, given, "cm")
    order = make_up(build, PLAN).order
    assert order.index("join 1-2") < order.index("own 1") < order.index("bind top")
    assert make_up(build, PLAN).minutes_left == pytest.approx(make_up(BUILD, PLAN).minutes_left + 90)
    renamed = put_own(build, PLAN, {"key": "own 1", "name": "paint both crests"}, "cm")
    assert (renamed.make.own[0].name, renamed.make.own[0].minutes) == ("paint both crests", 90)
    circle = {"name": "x", "after": ["bind top"], "before": ["join 1-2"]}
    assert refused(lambda: put_own(BUILD, PLAN, circle, "cm")) == ("make.own_circle", "after")
    with pytest.raises(ValidationError):
        put_own(BUILD, PLAN, {"name": ""}, "cm")
    assert "own 1" not in make_up(take_own(build, "own 1", "cm"), PLAN).order


def test_the_clock_runs_on_one_step_and_what_it_can_not_know_is_asked():
    build = start(BUILD, PLAN, "mark", NOW, "cm")
    assert refused(lambda: start(build, PLAN, "join 1-2", NOW, "cm")) == ("make.running", "step")
    later = NOW + datetime.timedelta(minutes=42)
    stopped = stop(build, PLAN, later, "cm", note="chalk wears off")
    assert stopped.make.running is None
    assert [(one.step, one.minutes, one.note) for one in stopped.make.log] == [("mark", 42.0, "chalk wears off")]
    assert refused(lambda: stop(build, PLAN, NOW - datetime.timedelta(hours=1), "cm")) == ("make.clock_back", "minutes")
    assert refused(lambda: stop(build, PLAN, NOW + datetime.timedelta(hours=40), "cm")) == ("make.too_long", "minutes")
    assert stop(build, PLAN, NOW + datetime.timedelta(hours=40), "cm", minutes=75).make.log[0].minutes == 75
    assert refused(lambda: stop(BUILD, PLAN, NOW, "cm")) == ("make.not_running", "step")
    assert drop_clock(build, "cm") == BUILD


def test_minutes_are_written_after_and_taken_back():
    build = log(BUILD, PLAN, {"step": "mark", "minutes": "30", "mishap": "chalked the wrong side"}, DAY, "cm")
    assert build.make.log[0].minutes == 30
    seen = {one.step.key: one for one in make_up(build, PLAN).steps}
    assert seen["mark"].logged_min == 30
    ahead = {"step": "mark", "minutes": 5, "on": "2026-11-27"}
    assert refused(lambda: log(BUILD, PLAN, ahead, DAY, "cm")) == ("make.not_past", "on")
    with pytest.raises(ValidationError):
        log(BUILD, PLAN, {"step": "mark", "minutes": 40 * 60}, DAY, "cm")
    assert unlog(build, 0, "cm").make.log == ()


def test_what_she_logged_is_how_long_it_takes_her():
    build = BUILD
    for k in range(1, 6):
        key = f"join {k}-{k + 1}"
        build = do(build, PLAN, key, DAY, "cm", also=True, anyhow=True)
        usual = sum(one.minutes for one in make_up(BUILD, PLAN).steps if one.step.key == key)
        build = log(build, PLAN, {"step": key, "minutes": 2 * usual}, DAY, "cm")
    known = known_rates([build])
    assert known["sew a seam"].entries == 5
    assert 1.4 < known["sew a seam"].minutes / 7 < 2.0
    assert known["waist tape"].minutes == 20
    before, after = make_up(BUILD, PLAN), make_up(BUILD, PLAN, known)
    assert after.minutes_left > before.minutes_left
    assert Garment(steps_of(build, PLAN)).can_be_finished(())


def test_a_step_says_what_goes_into_it_with_its_size():
    build = edited(built("underbust corset"), layers__method="floating lining", bones__made="inside tape")
    planned = plan(build)
    said = {step.key: [Words("cm")(one) for one in step.materials] for step in steps_of(build, planned)}
    tape = planned.waist_tape.cuts_mm[0]
    assert said["waist tape"] == [f"tape: 2 × {format_length(round(tape))}, 25 mm wide"]
    assert [line.split(",")[0] for line in said["channels 2"]] == ["2a: tape", "2·3: tape"]
    assert len(said["bones in 2"]) == 2
    assert all(" 2 × " in line for line in said["bones in 2"])
    top = sum(float(line.split("×")[1].split(" cm")[0]) for line in said["bind top"])
    panels = planned.pattern.panels
    assert top > sum(abs(panel.top[-1][0] - panel.top[0][0]) for panel in panels) / 10
    assert said["lace"][0].endswith(" m")
