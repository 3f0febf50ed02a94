"""At the machine: steps done and undone, left out, moved and put in; the clock, and the log (model, section 13)."""

import datetime
from collections.abc import Sequence
from typing import Any

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit
from fuseau.craft.making.choices import MOST_MINUTES, Appointment, Done, LeftOut, LogEntry, Running
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.record_choices import RecordChoices
from fuseau.craft.making.steps import StepKey
from fuseau.craft.making.ways_back import resting_on
from fuseau.craft.materials.minutes import Work
from fuseau.document.build import Build, plain, with_parts
from fuseau.planning.plan import Plan
from fuseau.planning.stages.make import done_elsewhere, steps_of
from fuseau.wording import Words


def _with(build: Build, unit: Unit, **parts: Any) -> Build:
    """The build with parts of its making, read anew."""
    return with_parts(build, unit, make={**plain(build, "make"), **parts})


def _written(*records: Any) -> list[Any]:
    return [record.model_dump(mode="json") for record in records]


def garment_of(build: Build, planned: Plan) -> Garment:
    """The garment by its steps, without those that she leaves out."""
    return Garment(steps_of(build, planned)).without(omitted.step for omitted in build.make.left_out)


def called(garment: Garment, key: StepKey) -> str:
    """What a step is called, as it is named in a sentence."""
    return f"“{Words('cm')(garment.step(key).name)}”" if key in garment.at else f"“{key}”"


def _known(garment: Garment, key: StepKey) -> None:
    if key not in garment.at:
        raise Unmakeable("step", "make.no_step")


def _done(build: Build, garment: Garment) -> set[StepKey]:
    return {one.step for one in build.make.done} | done_elsewhere(build, garment.steps)


def do(
    build: Build,
    planned: Plan,
    key: StepKey,
    on: datetime.date,
    unit: Unit,
    *,
    also: bool = False,
    anyhow: bool = False,
) -> Build:
    """The build with a step done. `also`: all that has to be before it was done too; `anyhow`: it was got in although
    it was shut out.

    Raises Unmakeable at `step` where it can't have been: with what lacks, or what shuts it out.
    """
    garment = garment_of(build, planned)
    _known(garment, key)
    done = _done(build, garment)
    if key in done:
        raise Unmakeable("step", "make.done_already")
    new = [key]
    if also:
        new = [*_before(garment, key, done), key]
        if not anyhow:
            _check_in_order(garment, new, done)
    else:
        why = garment.blocked(key, done)
        if why.lacks:
            more = len(_before(garment, key, done)) - 1
            code = "make.lacks.more" if more else "make.lacks"
            raise Unmakeable("step", code, first=called(garment, why.lacks[0]), more=float(more))
        if why.shut_by and not anyhow:
            raise Unmakeable("step", "make.shut", by=called(garment, why.shut_by[0]))
    there = {one.step for one in build.make.done}
    added = [Done(step=one, on=on) for one in new if one not in there]
    return _with(build, unit, done=_written(*build.make.done, *added))


def _before(garment: Garment, key: StepKey, done: set[StepKey]) -> list[StepKey]:
    """Every step that has to be done before one and is not, each after what it needs itself."""
    found: dict[StepKey, None] = {}

    def visit(key: StepKey) -> None:
        for need in garment.step(key).needs:
            if need in garment.at and need not in done and need not in found:
                visit(need)
                found[need] = None

    visit(key)
    return list(found)


def _check_in_order(garment: Garment, new: Sequence[StepKey], done: set[StepKey]) -> None:
    there = set(done)
    for one in new:
        shut_by = garment.blocked(one, there).shut_by
        if shut_by:
            raise Unmakeable("step", "make.shut", by=called(garment, shut_by[0]))
        there.add(one)


def undo(build: Build, planned: Plan, key: StepKey, unit: Unit) -> Build:
    """The build with a step not done after all, nor what rests on it. Raises Unmakeable for what other stages tell."""
    garment = garment_of(build, planned)
    _known(garment, key)
    done = _done(build, garment)
    gone = {key, *resting_on(garment, key, done)}
    if gone & done_elsewhere(build, garment.steps):
        raise Unmakeable("step", "make.elsewhere")
    return _with(build, unit, done=_written(*(one for one in build.make.done if one.step not in gone)))


def leave_out(build: Build, planned: Plan, key: StepKey, because: str, unit: Unit) -> Build:
    """The build without a step that may be left out, and why. Raises Unmakeable for one that may not be."""
    garment = Garment(steps_of(build, planned))
    _known(garment, key)
    if garment.step(key).optional is None:
        raise Unmakeable("step", "make.not_optional")
    others = [one for one in build.make.left_out if one.step != key]
    return _with(build, unit, left_out=_written(*others, LeftOut(step=key, because=because)))


def take_in(build: Build, key: StepKey, unit: Unit) -> Build:
    """The build with a step that was left out in it again."""
    return _with(build, unit, left_out=_written(*(one for one in build.make.left_out if one.step != key)))


def reorder(build: Build, planned: Plan, order: Sequence[StepKey], unit: Unit) -> Build:
    """The build with its steps as near to an order as may be; none: as usual again."""
    known = {step.key for step in steps_of(build, planned)}
    if not set(order) <= known:
        raise Unmakeable("order", "make.order_gone")
    return _with(build, unit, order=list(dict.fromkeys(order)))


def appoint(
    build: Build, planned: Plan, key: StepKey, on: datetime.date | None, note: str, today: datetime.date, unit: Unit
) -> Build:
    """The build with a day on which a step is done because somebody comes; None: on no day in particular.

    Raises Unmakeable at `step` for one that is done or none, at `on` for a day that is over.
    """
    garment = garment_of(build, planned)
    others = [appointment for appointment in build.make.appointments if appointment.step != key]
    if on is None:
        return _with(build, unit, appointments=_written(*others))
    _known(garment, key)
    if key in _done(build, garment):
        raise Unmakeable("step", "make.done_already")
    if on < today:
        raise Unmakeable("on", "make.day_over")
    return _with(build, unit, appointments=_written(*others, Appointment(step=key, on=on, note=note)))


def put_own(build: Build, planned: Plan, given: dict[str, Any], unit: Unit) -> Build:
    """The build with a step of her own more, or another version of the one it names.

    Raises pydantic.ValidationError for what is wrong at `make.own.<place>`, Unmakeable where it would have to come
    after one step and before another that comes first.
    """
    own = [one.model_dump(mode="json") for one in build.make.own]
    key = given.get("key") or f"own {1 + max((int(one.key[4:]) for one in build.make.own), default=0)}"
    at = next((i for i, one in enumerate(own) if one["key"] == key), len(own))
    own[at : at + 1] = [{**(own[at] if at < len(own) else {}), **given, "key": key}]
    made = _with(build, unit, own=own)
    garment = Garment(steps_of(made, planned)).without(omitted.step for omitted in build.make.left_out)
    if not garment.can_be_finished(()):
        raise Unmakeable("after", "make.own_circle")
    return made


def take_own(build: Build, key: StepKey, unit: Unit) -> Build:
    """The build without a step of her own; what was logged on it stays in the log."""
    make = build.make
    return _with(
        build,
        unit,
        own=_written(*(one for one in make.own if one.key != key)),
        done=_written(*(one for one in make.done if one.step != key)),
        appointments=_written(*(appointment for appointment in make.appointments if appointment.step != key)),
        running=None if make.running and make.running.step == key else plain(build, "make")["running"],
    )


def anew(build: Build) -> Build:
    """A build as a copy of it begins: nothing of it is made, logged or worn yet. How it is made stays."""
    make = build.make.model_copy(update={"done": (), "log": (), "running": None, "appointments": ()})
    return build.model_copy(update={"make": make, "record": RecordChoices()})


def like_this(build: Build) -> Build:
    """A new build like a finished one: its pattern and choices, without its day, and with what she would change of it
    as lessons.
    """
    told = (*build.record.would_change, *(f"{wear.gave_way} gave way" for wear in build.record.wears if wear.gave_way))
    brief = build.brief.model_copy(
        update={
            "name": f"{build.brief.name[:110]}, again",
            "needed_on": None,
            "lessons": tuple(dict.fromkeys((*build.brief.lessons, *told)))[:30],
        }
    )
    return anew(build).model_copy(update={"brief": brief})


# --- the clock and the log


def start(build: Build, planned: Plan, key: StepKey, now: datetime.datetime, unit: Unit) -> Build:
    """The build with the clock running on a step. Raises Unmakeable where it runs on one already."""
    garment = garment_of(build, planned)
    _known(garment, key)
    if build.make.running is not None:
        raise Unmakeable("step", "make.running", step=called(garment, build.make.running.step))
    return _with(build, unit, running=Running(step=key, since=now).model_dump(mode="json"))


def stop(
    build: Build,
    planned: Plan,
    now: datetime.datetime,
    unit: Unit,
    minutes: float | None = None,
    note: str = "",
    mishap: str = "",
) -> Build:
    """The build with the clock stopped, and its minutes in the log: those given, else those that it ran.

    Raises Unmakeable where none runs, and at `minutes` where it went back or ran longer than a day's work.
    """
    running = build.make.running
    if running is None:
        raise Unmakeable("step", "make.not_running")
    if minutes is None:
        minutes = (now - running.since).total_seconds() / 60
        if minutes < 0:
            raise Unmakeable("minutes", "make.clock_back")
        if minutes > MOST_MINUTES:
            raise Unmakeable("minutes", "make.too_long", hours=minutes / 60)
    entry = LogEntry(
        step=running.step,
        on=running.since.date(),
        minutes=round(minutes, 1),
        note=note,
        mishap=mishap,
        works=_works(build, planned, running.step),
    )
    return _with(build, unit, running=None, log=_written(*build.make.log, entry))


def _works(build: Build, planned: Plan, key: StepKey) -> tuple[tuple[Work, float], ...]:
    return next((step.works for step in steps_of(build, planned) if step.key == key), ())


def drop_clock(build: Build, unit: Unit) -> Build:
    """The build with the clock stopped, and nothing written down."""
    return _with(build, unit, running=None)


def log(build: Build, planned: Plan, given: dict[str, Any], today: datetime.date, unit: Unit) -> Build:
    """The build with an entry more in its log.

    Raises pydantic.ValidationError for what is wrong at `make.log.<place>`, Unmakeable for a day to come or no step.
    """
    known = {step.key for step in steps_of(build, planned)}
    if given.get("step") not in known:
        raise Unmakeable("step", "make.no_step")
    entry = {"on": today.isoformat(), **given, "works": _works(build, planned, given["step"])}
    made = _with(build, unit, log=[*_written(*build.make.log), entry])
    if made.make.log[-1].on > today:
        raise Unmakeable("on", "make.not_past")
    return made


def unlog(build: Build, at: int, unit: Unit) -> Build:
    """The build without an entry of its log, by its place."""
    return _with(build, unit, log=_written(*(entry for i, entry in enumerate(build.make.log) if i != at)))
