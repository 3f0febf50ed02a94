"""The work of the whole workshop: every step of every build on her hours, and the odds of each day (model, 13)."""

import datetime
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.making.choices import Appointment
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.hours import Calendar, Hours
from fuseau.craft.making.jobs import Job, nights
from fuseau.craft.making.odds import Odds, odds
from fuseau.craft.making.rates import Rate
from fuseau.craft.making.schedule import WORK, Schedule, precedences, schedule
from fuseau.craft.making.steps import Step, StepKey, Who
from fuseau.craft.materials.minutes import Work
from fuseau.document.build import Build
from fuseau.document.shelf import Order, Shelf
from fuseau.planning.plan import Plan
from fuseau.planning.stages.make import MakePlan, make_up
from fuseau.wording import Words

_UNKNOWN_ODDS = 0.5  # that a first mock-up fits, before anything is known
SICK_SHARE = 0.05  # of her hours, kept in hand for colds
_LEAST_DAYS, _MOST_DAYS = 14, 400  # that are shown
_ROOM = 1.5  # of the mean of all minutes: the calendar is that much longer, for late runs


@dataclass(frozen=True)
class AtWork:
    """A build that is worked on, with its plan."""

    id: str
    build: Build
    planned: Plan


class WorkStep(Record):
    """A step as it stands on the schedule: of which build, how it is called, who has to be there, what to mind."""

    build: str
    key: StepKey
    name: Message
    with_whom: Who
    cautions: tuple[Message, ...] = ()
    appointment: Appointment | None = None


class BuildWork(Record):
    """What is left of a build."""

    build: str
    name: str
    needed_on: datetime.date | None
    now: StepKey | None
    steps_left: int
    steps_done: int
    minutes_left: float
    minutes_later: float
    lost: tuple[StepKey, ...]
    running: StepKey | None
    missed: tuple[Message, ...] = ()


class Parcel(Record):
    """An order that is under way: from whom, what is in it, for which builds, and when it should be here."""

    shop: str
    due_on: datetime.date
    what: tuple[str, ...]
    builds: tuple[str, ...]


class WorkPlan(Record):
    """The work of the workshop from a day on. `learned`: the rates that her log has taught so far."""

    today: datetime.date
    minutes_by_day: tuple[float, ...]
    builds: tuple[BuildWork, ...]
    steps: tuple[WorkStep, ...]
    schedule: Schedule
    odds: tuple[Odds, ...]
    parcels: tuple[Parcel, ...]
    learned: tuple[Rate, ...]


@dataclass(frozen=True)
class WorkAhead:
    """Everything that is to be put on the schedule: jobs, when each build is due, and how each is made."""

    jobs: tuple[Job, ...]
    due: Mapping[str, datetime.date | None]
    made: Mapping[str, MakePlan]


def due_of(build: Build) -> datetime.date | None:
    """The day by whose evening a build has to be ready: the one before it is needed."""
    day = build.brief.needed_on
    return None if day is None else day - datetime.timedelta(days=1)


def work_of(at_work: Sequence[AtWork], shelf: Shelf, known: Mapping[Work, Rate], today: datetime.date) -> WorkAhead:
    """The jobs of all builds: what is shut out with its way back, what waits for a parcel on its day.

    Each takes so much longer as is kept in hand for colds.
    """
    jobs: list[Job] = []
    made: dict[str, MakePlan] = {}
    for one in at_work:
        plan = make_up(one.build, one.planned, known)
        made[one.id] = plan
        lost = set(plan.lost)
        garment = Garment(
            tuple(
                step.step.model_copy(update={"reaches": ()}) if step.step.key in lost else step.step
                for step in plan.steps
                if not step.done
            )
        )
        order = [key for key in plan.order if key in garment.at]
        pairs = precedences(garment, order)
        seen = {step.step.key: step for step in plan.steps}
        at = {key: len(jobs) + i for i, key in enumerate(order)}
        for key in order:
            step = seen[key].step
            arrives = _arrives(step, one.id, shelf, today)
            jobs.append(
                Job(
                    build=one.id,
                    key=key,
                    minutes=seen[key].minutes_left / (1 - SICK_SHARE),
                    spread_ln=seen[key].spread_ln,
                    after=tuple(sorted(at[before] for before, after in pairs if after == key and before in at)),
                    nights=nights(step.waits_h),
                    not_before=arrives[0] if arrives else None,
                    arrives_spread_d=arrives[1] if arrives else 0.0,
                    counts=not step.later,
                    on=None if (agreed := seen[key].appointment) is None else max(agreed.on, today),
                )
            )
    for i in reversed(range(len(jobs))):  # what something that counts rests on counts too
        if jobs[i].counts:
            for k in jobs[i].after:
                jobs[k] = replace(jobs[k], counts=True)
    return WorkAhead(tuple(jobs), {one.id: due_of(one.build) for one in at_work}, made)


def _arrives(step: Step, build: str, shelf: Shelf, today: datetime.date) -> tuple[datetime.date, float] | None:
    """When what a step waits for is here, where it is on its way: the last of it, and by how many days that is off."""
    found = [
        max(order.due_on, today)
        for order in shelf.under_way()
        for line in order.lines
        for wanted in step.waits_for
        if (not line.builds or build in line.builds)
        and wanted in (line.article.sort, f"{line.article.sort} {line.article.name}")
    ]
    return (max(found), 1.5) if found else None


def with_one_more(work: WorkAhead, at_work: Sequence[AtWork]) -> tuple[Job, ...]:
    """The jobs with one more mock-up and its fitting for each build, as likely as its odds say that it is needed.

    They come after the last fitting and before the cloth is cut.
    """
    jobs = list(work.jobs)
    for one in at_work:
        fittings = [i for i, job in enumerate(jobs) if job.build == one.id and job.key.startswith("fitting ")]
        if not fittings:
            continue
        last = fittings[-1]
        known = one.planned.verdict.probability if one.planned.verdict else None
        needed = 1 - (_UNKNOWN_ODDS if known is None else known)
        mean = next((job.minutes for job in jobs if job.build == one.id and job.key.startswith("mock-up ")), 225.0)
        more = len(jobs)
        base = Job(build=one.id, key="mock-up more", minutes=mean, spread_ln=jobs[last].spread_ln, likely=needed)
        jobs.append(replace(base, after=(last,)))
        jobs.append(replace(base, key="fitting more", minutes=jobs[last].minutes, after=(more,)))
        for i, job in enumerate(jobs[:more]):
            if last in job.after:
                jobs[i] = replace(job, after=(*job.after, more + 1))
    return tuple(jobs)


def plan_work(
    at_work: Sequence[AtWork],
    shelf: Shelf,
    hours: Hours,
    today: datetime.date,
    known: Mapping[Work, Rate],
    *,
    look: float = WORK,
    runs: int = 1000,
) -> WorkPlan:
    """The work of all builds from today on: every step on its day, and the odds that each build is ready by its own.

    `known` are her rates; `look` is how much work goes into bettering the order, of the solver's own count.

    Raises Unmakeable at `hours` where there are none.
    """
    work = work_of(at_work, shelf, known, today)
    calendar = calendar_for(work.jobs, hours, today)
    found = schedule(work.jobs, work.due, calendar, work=look)
    told = odds(with_one_more(work, at_work), work.due, calendar, _as_planned(work.jobs, found), runs=runs)
    needed = [one.build.brief.needed_on for one in at_work if one.build.brief.needed_on is not None]
    shown = max([*(slot.ends_on for slot in found.slots), *needed], default=today)
    days = min(max((shown - today).days + 1, _LEAST_DAYS), _MOST_DAYS)
    return WorkPlan(
        today=today,
        minutes_by_day=calendar.minutes(days),
        builds=tuple(_build_work(one, work.made[one.id], found) for one in at_work),
        steps=tuple(
            WorkStep(
                build=one.id,
                key=seen.step.key,
                name=seen.step.name,
                with_whom=seen.step.with_whom,
                cautions=seen.step.cautions,
                appointment=seen.appointment,
            )
            for one in at_work
            for seen in work.made[one.id].steps
            if not seen.done
        ),
        schedule=found,
        odds=told,
        parcels=tuple(_parcel(order) for order in shelf.under_way()),
        learned=tuple(rate for rate in known.values() if rate.entries),
    )


def calendar_for(jobs: Sequence[Job], hours: Hours, today: datetime.date) -> Calendar:
    """Days enough for all jobs, and for late runs of them. Raises Unmakeable as `Calendar` does."""
    whole = sum(job.minutes for job in jobs)
    last = max([job.not_before for job in jobs if job.not_before] or [today])
    waits = sum(job.nights for job in jobs)
    comes: dict[datetime.date, float] = {}
    for job in jobs:
        if job.on is not None:
            comes[job.on] = comes.get(job.on, 0.0) + max(1.0, job.minutes)
            last = max(last, job.on)
    return Calendar(hours, today, _ROOM * whole + 600, 60 + waits + (last - today).days, comes)


def odds_of(
    at_work: Sequence[AtWork],
    shelf: Shelf,
    hours: Hours,
    today: datetime.date,
    known: Mapping[Work, Rate],
) -> tuple[Odds, ...]:
    """The odds alone, of builds as they might be decided."""
    work = work_of(at_work, shelf, known, today)
    calendar = calendar_for(work.jobs, hours, today)
    planned = _as_planned(work.jobs, schedule(work.jobs, work.due, calendar, work=0))
    return odds(with_one_more(work, at_work), work.due, calendar, planned)


def _as_planned(jobs: Sequence[Job], planned: Schedule) -> dict[int, int]:
    """The place of each job in the order of a schedule: what she goes by in the runs too."""
    at = {(slot.build, slot.key): place for place, slot in enumerate(planned.slots)}
    return {i: at[job.build, job.key] for i, job in enumerate(jobs)}


def _day(day: datetime.date) -> str:
    return f"{day.day} {day:%B}"


def _missed(work: AtWork, made: MakePlan, found: Schedule) -> Iterator[Message]:
    """Appointments that can't be kept, since what comes before them is done later."""
    starts = {slot.key: slot.starts_on for slot in found.slots if slot.build == work.id}
    for seen in made.steps:
        agreed, begins = seen.appointment, starts.get(seen.step.key)
        if agreed is not None and begins is not None and begins > agreed.on:
            name = Words("cm")(seen.step.name)
            yield message("make.missed", step=name, on=_day(agreed.on), ready=_day(begins))


def _build_work(work: AtWork, made: MakePlan, found: Schedule) -> BuildWork:
    left = [seen for seen in made.steps if not seen.done]
    return BuildWork(
        build=work.id,
        name=work.build.brief.name,
        needed_on=work.build.brief.needed_on,
        now=made.now,
        steps_left=len(left),
        steps_done=len(made.steps) - len(left),
        minutes_left=made.minutes_left,
        minutes_later=made.minutes_later,
        lost=made.lost,
        running=made.running.step if made.running else None,
        missed=tuple(_missed(work, made, found)),
    )


def _parcel(order: Order) -> Parcel:
    return Parcel(
        shop=order.shop,
        due_on=order.due_on,
        what=tuple(line.article.label for line in order.lines),
        builds=tuple(dict.fromkeys(build for line in order.lines for build in line.builds)),
    )
