"""When each step is done: one pair of hands, their hours, waits, deliveries and appointments (model, section 13).

A single-machine problem with precedences, release days and waits, minimising lateness and then the ends of the builds.
A list schedule by due day is the first answer; OR-Tools CP-SAT betters it and says by how much it may still be off.
"""

import datetime
import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any, Literal

from fuseau.craft.base.record import Record
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.hours import Calendar
from fuseau.craft.making.steps import StepKey

_LATE_WEIGHT = 50
_SECONDS = 0.8


@dataclass(frozen=True)
class Job:
    """A step of a build on the schedule. `after`: places of the jobs that have to be over; `nights` it waits then.

    `not_before`: the day on which what it waits for is here, give or take `arrives_spread_d` days; `on`: the day of its
    appointment. `counts`: the build is not ready without it. `likely`: with which probability it has to be done at all.
    """

    build: str
    key: StepKey
    minutes: float
    spread_ln: float
    after: tuple[int, ...] = ()
    nights: int = 0
    not_before: datetime.date | None = None
    arrives_spread_d: float = 0.0
    on: datetime.date | None = None
    counts: bool = True
    likely: float = 1.0


def nights(hours: float) -> int:
    """How many nights a wait takes, begun in the evening: overnight is one, a day and a half are two."""
    return math.ceil(hours / 24 - 1e-9) if hours > 0 else 0


Held = Literal["start", "step", "wait", "delivery", "appointment", "hands"]


class Slot(Record):
    """A job on the schedule: from when to when, in minutes of work since the first day and by day.

    `held_by` is what it could not begin before, and `after` which job that is.
    """

    build: str
    key: StepKey
    start_min: float
    end_min: float
    starts_on: datetime.date
    ends_on: datetime.date
    held_by: Held = "start"
    after: tuple[str, StepKey] | None = None
    critical: bool = False


class BuildEnd(Record):
    """When a build is ready, how many days that is before its day (below zero: late), and the chain that decides it."""

    build: str
    ends_on: datetime.date
    due_on: datetime.date | None
    spare_days: int | None
    chain: tuple[StepKey, ...]


class Schedule(Record):
    """Every job when it is done. `bound_share`: how much shorter it might still be, as a share; 0 is proven best."""

    slots: tuple[Slot, ...]
    ends: tuple[BuildEnd, ...]
    bound_share: float


def precedences(garment: Garment, order: Sequence[StepKey]) -> set[tuple[StepKey, StepKey]]:
    """Pairs of steps of which the first is done before the second, so that any order that keeps them is allowed.

    Beside what each needs, what reaches a place comes before what shuts it; where it reaches one of several, before the
    one that is shut last in the given order.
    """
    at = {key: i for i, key in enumerate(order)}
    found = {(need, key) for key in order for need in garment.step(key).needs if need in at}
    shut_by: dict[str, list[StepKey]] = {}
    for key in order:
        for shuts in garment.step(key).shuts:
            shut_by.setdefault(shuts.place, []).append(key)
    for key in order:
        for group in garment.step(key).reaches:
            closers = [[one for one in shut_by.get(place, ()) if one != key] for place in group]
            if all(closers):
                last = max(closers, key=lambda one: at[one[0]])
                found |= {(key, closer) for closer in last if at[closer] > at[key]}
    return found


def schedule(
    jobs: Sequence[Job],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    ranks: Mapping[int, int] | None = None,
    seconds: float = _SECONDS,
) -> Schedule:
    """When each job is done. `due` is the day on which each build has to be ready, with its margin.

    `ranks` is her own order of the jobs. Raises Unmakeable as `Calendar` does.
    """
    if not jobs:
        return Schedule(slots=(), ends=(), bound_share=0.0)
    whole = [max(1, round(job.minutes)) for job in jobs]
    starts = _listed(jobs, whole, due, calendar, ranks or {})
    bound = 0.0
    if seconds:
        starts, bound = _bettered(jobs, whole, starts, due, calendar, seconds)
    return _told(jobs, whole, starts, due, calendar, bound)


def urgency(jobs: Sequence[Job], due: Mapping[str, datetime.date | None], ranks: Mapping[int, int]) -> list[int]:
    """The rank of each job among all: what counts first, by the day it is due, then in her order."""
    far = datetime.date.max
    order = sorted(range(len(jobs)), key=lambda i: (not jobs[i].counts, due.get(jobs[i].build) or far, ranks.get(i, i)))
    rank = [0] * len(jobs)
    for place, i in enumerate(order):
        rank[i] = place
    return rank


def _released(job: Job, calendar: Calendar) -> float:
    days = [day for day in (job.not_before, job.on) if day is not None]
    return calendar.begin(max(days)) if days else 0.0


def _listed(
    jobs: Sequence[Job],
    whole: Sequence[int],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    ranks: Mapping[int, int],
) -> list[float]:
    """The most urgent that can begin is begun; where none can, the clock goes on to when the first can."""
    rank = urgency(jobs, due, ranks)
    ready = [_released(job, calendar) for job in jobs]
    starts = [0.0] * len(jobs)
    left, over = set(range(len(jobs))), set[int]()
    now = 0.0
    while left:
        free = [i for i in left if all(k in over for k in jobs[i].after)]
        can = [i for i in free if ready[i] <= now + 1e-6]
        if not can:
            now = min(ready[i] for i in free)
            can = [i for i in free if ready[i] <= now + 1e-6]
        first = min(can, key=lambda i: rank[i])
        starts[first] = now
        now += whole[first]
        end = float(calendar.after_days(now, jobs[first].nights)) if jobs[first].nights else now
        left.remove(first)
        over.add(first)
        for i in left:
            if first in jobs[i].after:
                ready[i] = max(ready[i], end)
    return starts


def _bettered(
    jobs: Sequence[Job],
    whole: Sequence[int],
    starts: Sequence[float],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    seconds: float,
) -> tuple[list[float], float]:
    """A schedule no later than the given one, and the share by which one that is shorter still may exist."""
    from ortools.sat.python import cp_model

    model = cp_model.CpModel()
    begins = [round(minutes) for minutes in calendar.begins]
    most = begins[-1]
    begin = [model.new_int_var(math.ceil(_released(job, calendar)), most, f"s{i}") for i, job in enumerate(jobs)]
    model.add_no_overlap([model.new_fixed_size_interval_var(begin[i], whole[i], f"i{i}") for i in range(len(jobs))])
    again = {}
    for i, job in enumerate(jobs):
        if job.nights:
            day = model.new_int_var(0, calendar.days - 1, f"d{i}")
            low, high = model.new_int_var(0, most, f"l{i}"), model.new_int_var(0, most, f"h{i}")
            model.add_element(day, begins[:-1], low)
            model.add_element(day, begins[1:], high)
            model.add(begin[i] + whole[i] - 1 >= low)
            model.add(begin[i] + whole[i] <= high)
            again[i] = model.new_int_var(0, most, f"a{i}")
            model.add_element(day, [begins[min(d + job.nights, calendar.days)] for d in range(calendar.days)], again[i])
    for i, job in enumerate(jobs):
        for k in job.after:
            model.add(begin[i] >= (again[k] if k in again else begin[k] + whole[k]))
    cost: list[Any] = []
    for build in dict.fromkeys(job.build for job in jobs):
        mine = [i for i, job in enumerate(jobs) if job.build == build and job.counts]
        if not mine:
            continue
        end = model.new_int_var(0, most, f"e{build}")
        model.add_max_equality(end, [begin[i] + whole[i] for i in mine])
        cost.append(end)
        day_due = due.get(build)
        if day_due is not None:
            late = model.new_int_var(0, most, f"late{build}")
            model.add(late >= end - math.floor(calendar.end(day_due)))
            cost.append(_LATE_WEIGHT * late)
    model.minimize(sum(cost))
    for i, start in enumerate(starts):
        model.add_hint(begin[i], math.ceil(start))
    solver = cp_model.CpSolver()
    solver.parameters.max_time_in_seconds = seconds
    solver.parameters.num_workers = 1
    solver.parameters.random_seed = 7
    found = solver.solve(model)
    if found not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return list(starts), 1.0
    gap = 0.0 if found == cp_model.OPTIMAL else 1 - solver.best_objective_bound / max(solver.objective_value, 1.0)
    return [float(solver.value(one)) for one in begin], max(0.0, gap)


def _told(
    jobs: Sequence[Job],
    whole: Sequence[int],
    starts: Sequence[float],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    bound: float,
) -> Schedule:
    order = sorted(range(len(jobs)), key=lambda i: (starts[i], i))
    held: dict[int, tuple[Held, int | None]] = {}
    for place, i in enumerate(order):
        held[i] = _held(jobs, whole, starts, calendar, i, order[place - 1] if place else None)
    critical: set[int] = set()
    ends = []
    for build in dict.fromkeys(job.build for job in jobs):
        mine = [i for i, job in enumerate(jobs) if job.build == build and job.counts]
        if not mine:
            continue
        last = max(mine, key=lambda i: starts[i] + whole[i])
        chain, at = [last], held[last][1]
        while at is not None:
            chain.append(at)
            at = held[at][1]
        critical |= set(chain)
        ends_on, day = calendar.date_of_end(starts[last] + whole[last]), due.get(build)
        ends.append(
            BuildEnd(
                build=build,
                ends_on=ends_on,
                due_on=day,
                spare_days=None if day is None else (day - ends_on).days,
                chain=tuple(jobs[i].key for i in reversed(chain) if jobs[i].build == build),
            )
        )
    slots = tuple(
        Slot(
            build=jobs[i].build,
            key=jobs[i].key,
            start_min=starts[i],
            end_min=starts[i] + whole[i],
            starts_on=calendar.date_of_start(starts[i]),
            ends_on=calendar.date_of_end(starts[i] + whole[i]),
            held_by=held[i][0],
            after=None if (at := held[i][1]) is None else (jobs[at].build, jobs[at].key),
            critical=i in critical,
        )
        for i in order
    )
    return Schedule(slots=slots, ends=tuple(ends), bound_share=bound)


def _held(
    jobs: Sequence[Job], whole: Sequence[int], starts: Sequence[float], calendar: Calendar, i: int, before: int | None
) -> tuple[Held, int | None]:
    """What a job could not begin before: of all that ends when it begins, what is no matter of hands first."""
    start = starts[i]
    for k in jobs[i].after:
        end = starts[k] + whole[k]
        if jobs[k].nights and abs(float(calendar.after_days(end, jobs[k].nights)) - start) < 1:
            return "wait", k
    if start > 0 and abs(math.ceil(_released(jobs[i], calendar)) - start) < 1:
        return ("appointment" if jobs[i].on is not None else "delivery"), None
    for k in jobs[i].after:
        if abs(starts[k] + whole[k] - start) < 1:
            return "step", k
    if before is not None and abs(starts[before] + whole[before] - start) < 1:
        return "hands", before
    return "start", None
