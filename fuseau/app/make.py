"""Routes of the making: steps done, the clock and the log, the work of the workshop and what would buy odds."""

import datetime
from dataclasses import dataclass

from fastapi import APIRouter
from fastapi.responses import Response

from fuseau.app.file_names import named_file
from fuseau.app.json_route import JsonRoute
from fuseau.app.session import AtHand, Session, TheSession, TheWorkers
from fuseau.app.wire import OpenBuild
from fuseau.app.wire_make import (
    Appoint,
    DoStep,
    Gains,
    LeaveOut,
    MakeSeen,
    OfEntry,
    OfStep,
    PutEntry,
    PutOwn,
    Reorder,
    StopClock,
    TakeGain,
)
from fuseau.app.work import find_gains, plan_the_work, print_day_plan
from fuseau.app.workers import Underway, Workers
from fuseau.commands.fields import change
from fuseau.commands.make import (
    appoint,
    called,
    do,
    drop_clock,
    garment_of,
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
from fuseau.craft.making.choices import MOST_MINUTES
from fuseau.craft.making.rates import Rate
from fuseau.craft.making.steps import StepKey
from fuseau.craft.materials.minutes import Work
from fuseau.document.build import Build
from fuseau.files.paper import Paper
from fuseau.planning.stages.make import make_up
from fuseau.planning.workshop.card_box import rates_of
from fuseau.planning.workshop.schedule import WorkPlan

router = APIRouter(prefix="/api", route_class=JsonRoute)
_ALL = "-"  # the work is of no build in particular


def _named(session: Session, build_id: str, said: str, key: StepKey) -> str:
    """A label of the history: what was done to a step, by its name."""
    at = session.at_hand(build_id)
    return f"{said}: {called(garment_of(at.build, at.planned), key).strip('“”')}"[:200]


@router.get("/builds/{build_id}/make", response_model=MakeSeen)
def read_make(session: TheSession, build_id: str) -> Response:
    """Every step of a build as it stands, the order of those that are left, and what to do next."""
    at = session.at_hand(build_id)
    return session.answer(MakeSeen(make=make_up(at.build, at.planned, _rates(session)), today=at.today))


def _rates(session: Session) -> dict[Work, Rate]:
    """Her rates, from all that she logged."""
    return rates_of(filed for _, filed in session.cards.all())


@router.post("/builds/{build_id}/make/do", response_model=OpenBuild)
def do_step(session: TheSession, build_id: str, given: DoStep) -> Response:
    """A step is done; refused where it can't have been."""

    def step(at: AtHand) -> Build:
        return do(at.build, at.planned, given.step, at.today, at.unit, also=given.also, anyhow=given.anyhow)

    return session.step(build_id, given.revision, step, _named(session, build_id, "Done", given.step))


@router.post("/builds/{build_id}/make/undo", response_model=OpenBuild)
def undo_step(session: TheSession, build_id: str, given: OfStep) -> Response:
    """A step is not done after all, nor what rests on it."""
    return session.step(
        build_id,
        given.revision,
        lambda at: undo(at.build, at.planned, given.step, at.unit),
        _named(session, build_id, "Undone", given.step),
    )


@router.post("/builds/{build_id}/make/leave-out", response_model=OpenBuild)
def leave_step_out(session: TheSession, build_id: str, given: LeaveOut) -> Response:
    """A step is left out, and why."""
    return session.step(
        build_id,
        given.revision,
        lambda at: leave_out(at.build, at.planned, given.step, given.because, at.unit),
        _named(session, build_id, "Left out", given.step),
    )


@router.post("/builds/{build_id}/make/take-in", response_model=OpenBuild)
def take_step_in(session: TheSession, build_id: str, given: OfStep) -> Response:
    """A step that was left out is in again."""
    return session.step(
        build_id,
        given.revision,
        lambda at: take_in(at.build, given.step, at.unit),
        _named(session, build_id, "In again", given.step),
    )


@router.post("/builds/{build_id}/make/appoint", response_model=OpenBuild)
def appoint_step(session: TheSession, build_id: str, given: Appoint) -> Response:
    """A step is agreed for a day, or for none in particular any more."""
    said = f"Agreed for {given.on.day} {given.on:%B}" if given.on else "On no day in particular"
    return session.step(
        build_id,
        given.revision,
        lambda at: appoint(
            build=at.build,
            planned=at.planned,
            key=given.step,
            on=given.on,
            note=given.note,
            today=at.today,
            unit=at.unit,
        ),
        _named(session, build_id, said, given.step),
    )


@router.put("/builds/{build_id}/make/order", response_model=OpenBuild)
def put_in_order(session: TheSession, build_id: str, given: Reorder) -> Response:
    """The steps in her own order, as far as that goes."""
    label = "Steps put in another order" if given.order else "Steps in the usual order"
    return session.step(build_id, given.revision, lambda at: reorder(at.build, at.planned, given.order, at.unit), label)


@router.put("/builds/{build_id}/make/own", response_model=OpenBuild)
def keep_own(session: TheSession, build_id: str, given: PutOwn) -> Response:
    """A step of her own, or another version of it."""
    written = given.own.model_dump(mode="json", exclude_unset=True)
    return session.step(
        build_id,
        given.revision,
        lambda at: put_own(at.build, at.planned, written, at.unit),
        f"A step of her own: {written.get('name') or written.get('key') or ''}"[:120],
    )


@router.post("/builds/{build_id}/make/own/take", response_model=OpenBuild)
def take_own_out(session: TheSession, build_id: str, given: OfStep) -> Response:
    """A step of her own taken out."""
    return session.step(
        build_id,
        given.revision,
        lambda at: take_own(at.build, given.step, at.unit),
        _named(session, build_id, "Taken out", given.step),
    )


# --- the clock and the log


@router.post("/builds/{build_id}/make/start", response_model=OpenBuild)
def start_clock(session: TheSession, build_id: str, given: OfStep) -> Response:
    """The clock begins to run on a step; refused while it runs on any other of the workshop."""
    for other in session.workshop.builds():
        running = other.build.make.running
        if running is not None and other.id != build_id:
            there = session.at_hand(other.id)
            step = called(garment_of(there.build, there.planned), running.step)
            raise Unmakeable("step", "make.runs_elsewhere", step=step, build=other.build.brief.name)
    now = datetime.datetime.now().replace(microsecond=0)
    return session.step(
        build_id,
        given.revision,
        lambda at: start(at.build, at.planned, given.step, now, at.unit),
        _named(session, build_id, "Began", given.step),
    )


@router.post("/builds/{build_id}/make/stop", response_model=OpenBuild)
def stop_clock(session: TheSession, build_id: str, given: StopClock) -> Response:
    """The clock stops, and its minutes go into the log; with `done` the step is done too."""
    now = datetime.datetime.now().replace(microsecond=0)

    def step(at: AtHand) -> Build:
        if given.drop:
            return drop_clock(at.build, at.unit)
        running = at.build.make.running
        stopped = stop(
            build=at.build,
            planned=at.planned,
            now=now,
            unit=at.unit,
            minutes=_minutes(given.minutes),
            note=given.note,
            mishap=given.mishap,
        )
        if given.done and running is not None:
            return do(stopped, at.planned, running.step, at.today, at.unit)
        return stopped

    return session.step(build_id, given.revision, step, "The clock stopped")


@router.post("/builds/{build_id}/make/log", response_model=OpenBuild)
def log_work(session: TheSession, build_id: str, given: PutEntry) -> Response:
    """Minutes written down after, with what went wrong."""
    written = given.entry.model_dump(mode="json", exclude_unset=True)
    label = _named(session, build_id, "Logged", str(written.get("step")))
    return session.step(
        build_id, given.revision, lambda at: log(at.build, at.planned, written, at.today, at.unit), label
    )


@router.post("/builds/{build_id}/make/log/take", response_model=OpenBuild)
def unlog_work(session: TheSession, build_id: str, given: OfEntry) -> Response:
    """An entry of the log taken out."""
    return session.step(build_id, given.revision, lambda at: unlog(at.build, given.at, at.unit), "Out of the log")


def _minutes(written: str | float | None) -> float | None:
    """Minutes as they are written. Raises Unmakeable at `minutes` for what is no number of them."""
    if written is None or written == "":
        return None
    try:
        found = float(written.replace(",", ".")) if isinstance(written, str) else float(written)
    except ValueError:
        found = -1.0
    if not 0 <= found <= MOST_MINUTES:
        raise Unmakeable("minutes", "make.minutes", most=float(MOST_MINUTES))
    return found


# --- the work of the workshop


@dataclass(frozen=True)
class _Asked:
    """What the work follows from: builds with their revisions, the shelf, hours, and the day."""

    builds: list[tuple[str, Build]]
    known: dict[Work, Rate]
    question: tuple[object, ...]


def _asked(session: Session) -> _Asked:
    builds = [build for build in session.workshop.builds() if build.build.rehearsal is None]
    today = datetime.date.today()
    question = (
        tuple((build.id, build.revision) for build in builds),
        session.shelf.open().revision,
        session.house.hours,
        today,
    )
    return _Asked([(build.id, build.build) for build in builds], _rates(session), question)


def _work(session: Session, workers: Workers) -> WorkPlan:
    asked, today = _asked(session), datetime.date.today()
    shelf, hours = session.shelf.open().shelf, session.house.hours
    return workers.think(_ALL, "work", asked.question, plan_the_work, asked.builds, shelf, hours, today, asked.known)


@router.get("/work", response_model=WorkPlan)
def read_work(session: TheSession, workers: TheWorkers) -> Response:
    """Every step of every build on its day, and the odds of each build's day. Some seconds; it can be stopped."""
    return session.answer(_work(session, workers))


@router.get("/work/underway")
def list_work_underway(workers: TheWorkers) -> list[Underway]:
    """How far it is."""
    return workers.underway(_ALL)


@router.delete("/work/underway", status_code=204)
def stop_work(workers: TheWorkers) -> None:
    """Stop working it out."""
    workers.stop(_ALL, "work")


@router.get("/work.ics", response_class=Response)
def save_work(session: TheSession, workers: TheWorkers) -> Response:
    """The work as a calendar: steps, waits, fittings, parcels, and the days that builds are needed."""
    from fuseau.files.calendar_ics import calendar_ics

    return named_file(calendar_ics(_work(session, workers), session.unit), "text/calendar", "work", ".ics")


@router.get("/work.pdf", response_class=Response)
def print_work(session: TheSession, workers: TheWorkers, paper: Paper = "a4") -> Response:
    """The plan of the next days, on paper."""
    printed = workers.read(print_day_plan, _work(session, workers), paper, session.unit)
    return named_file(printed, "application/pdf", "day-plan", ".pdf")


@router.get("/builds/{build_id}/make/gains", response_model=Gains)
def read_gains(session: TheSession, workers: TheWorkers, build_id: str) -> Response:
    """Choices that would make a build ready sooner, those first that buy most odds. Some seconds; can be stopped."""
    session.workshop.look(build_id)
    asked, today = _asked(session), datetime.date.today()
    found = workers.think(
        build_id,
        "gains",
        asked.question,
        find_gains,
        asked.builds,
        build_id,
        session.shelf.open().shelf,
        session.house.hours,
        today,
        asked.known,
        session.unit,
    )
    return session.answer(Gains(gains=list(found)))


@router.post("/builds/{build_id}/make/gains", response_model=OpenBuild)
def take_gain(session: TheSession, build_id: str, given: TakeGain) -> Response:
    """Take a choice that saves time; it is undone as one."""

    def step(at: AtHand) -> Build:
        made = change(at.build, given.changes, at.unit) if given.changes else at.build
        for key in given.leave_out:
            made = leave_out(made, at.planned, key, "to be ready in time", at.unit)
        return made

    return session.step(build_id, given.revision, step, given.title or "A choice that saves time")
