"""When each step is done: one pair of hands, their hours, waits, deliveries and appointments (model, section 13).

A single-machine problem with precedences, release days and waits, minimising the latest build's lateness and then the
ends of all. A list schedule by due day is the first answer, Jackson's preemptive schedule what none is better than;
where they differ, OR-Tools CP-SAT looks for more. See Brucker, "Scheduling Algorithms", 2007, chapter 4.
"""

import datetime
import math
from collections.abc import Iterator, Mapping, Sequence
from typing import Any, Literal

from fuseau.craft.base.record import Record
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.hours import Calendar
from fuseau.craft.making.jobs import (
    LATE_WEIGHT,
    Job,
    cost_of,
    due_min,
    heads_of,
    last_start,
    latest_ends,
    least_cost,
    released,
    tails_of,
)
from fuseau.craft.making.steps import StepKey

WORK = 0.25  # of the solver's own count: a second of a slow processor, and the same answer on a busy one
_STUCK_S = 30.0
_NIGHT_MIN = 180  # what a night of waiting is worth, where work is put in order
_WORTH = 0.99  # of the cost: what is no better leaves her order as it is
_NEAR = 0.01  # nearer than this to what none is better than, it is left so


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
                last = max(closers, key=lambda closer: at[closer[0]])
                found |= {(key, closer) for closer in last if at[closer] > at[key]}
    return found


def schedule(
    jobs: Sequence[Job],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    ranks: Mapping[int, int] | None = None,
    work: float = WORK,
) -> Schedule:
    """When each job is done. `due` is the day on which each build has to be ready, with its margin.

    `ranks` is her own order of the jobs; `work` is how much is looked for what is better, 0 for the first answer. An
    appointment that can be kept is kept: nothing is gained by moving it. Raises Unmakeable as `Calendar` does.
    """
    if not jobs:
        return Schedule(slots=(), ends=(), bound_share=0.0)
    whole = [max(1, round(job.minutes)) for job in jobs]
    starts: list[float] = []
    for rank in _orders(jobs, whole, due, calendar, ranks or {}):
        tried = _listed(jobs, whole, calendar, rank)
        if not starts or cost_of(jobs, whole, tried, due, calendar) < _WORTH * cost_of(
            jobs, whole, starts, due, calendar
        ):
            starts = tried
    least = least_cost(jobs, whole, due, calendar)
    if work and cost_of(jobs, whole, starts, due, calendar) > (1 + _NEAR) * least + 0.5:
        starts, proven = _bettered(jobs, whole, starts, due, calendar, work)
        least = max(least, proven)
    bound = 1 - (least + 0.5) / cost_of(jobs, whole, starts, due, calendar)
    return _told(jobs, whole, starts, due, calendar, max(0.0, bound))


def urgency(jobs: Sequence[Job], due: Mapping[str, datetime.date | None], ranks: Mapping[int, int]) -> list[int]:
    """The rank of each job among all: appointments, then what counts, by the day it is due, then in her order."""
    far = datetime.date.max

    def pressing(i: int) -> tuple[bool, bool, datetime.date, int]:
        return jobs[i].on is None, not jobs[i].counts, due.get(jobs[i].build) or far, ranks.get(i, i)

    order = sorted(range(len(jobs)), key=pressing)
    rank = [0] * len(jobs)
    for place, i in enumerate(order):
        rank[i] = place
    return rank


def _orders(
    jobs: Sequence[Job],
    whole: Sequence[int],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    ranks: Mapping[int, int],
) -> Iterator[list[float]]:
    """What to begin first of what can be begun: by the day each build is due, in her order; or by the day less all that
    has to follow, with nights and parcels counted or not.
    """
    yield [float(job) for job in urgency(jobs, due, ranks)]
    far = float(calendar.begins[-1])
    for night_min in (0.0, _NIGHT_MIN):
        latest = latest_ends(jobs, whole, due, calendar, far, night_min)
        yield [-math.inf if job.on is not None else end for job, end in zip(jobs, latest, strict=True)]


def _listed(jobs: Sequence[Job], whole: Sequence[int], calendar: Calendar, rank: Sequence[float]) -> list[float]:
    """The most urgent that can begin is begun; where none can, the clock goes on to when the first can."""
    ready = [released(job, calendar) for job in jobs]
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
        kept = [i for i in free if jobs[i].on is not None and i not in can]
        if kept:  # somebody comes: nothing is begun that would not be over then, and if need be she waits
            until = min(max(ready[i], last_start(jobs[i], whole[i], calendar)) for i in kept)
            over_then = [i for i in can if now + whole[i] <= until]
            if not over_then:
                now = min(ready[i] for i in kept)
                continue
            first = min(over_then, key=lambda i: rank[i])
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
    work: float,
) -> tuple[list[float], float]:
    """A schedule that costs no more than the given one, and what none costs less than."""
    from ortools.sat.python import cp_model

    model = cp_model.CpModel()
    counted = [i for i, job in enumerate(jobs) if job.counts]
    heads, tails = heads_of(jobs, whole, calendar), tails_of(jobs, whole)
    had = cost_of(jobs, whole, starts, due, calendar)
    lasts = {  # what costs no more than the given one ends no later
        build: int(min(calendar.begins[-1], due_min(due, build, calendar) + had / LATE_WEIGHT, had))
        for build in dict.fromkeys(job.build for job in jobs)
    }
    most = max(lasts.values())
    begins = [round(minutes) for minutes in calendar.begins if minutes <= most + 1]
    begins += [round(calendar.begins[len(begins)])] if len(begins) <= calendar.days else []
    days = len(begins) - 1
    begin, again = {}, {}
    for i in counted:
        latest_i = max(math.ceil(heads[i]), lasts[jobs[i].build] - int(tails[i]) - whole[i])
        if jobs[i].on is not None and starts[i] <= (last := last_start(jobs[i], whole[i], calendar)):
            latest_i = max(math.ceil(heads[i]), math.floor(last))  # an appointment that is kept stays kept
        begin[i] = model.new_int_var(math.ceil(heads[i]), latest_i, f"s{i}")
        if jobs[i].nights:
            day = model.new_int_var(0, days - 1, f"d{i}")
            low, high, then = (model.new_int_var(0, begins[-1], f"{name}{i}") for name in "lht")
            model.add_element(day, begins[:-1], low)
            model.add_element(day, begins[1:], high)
            model.add_element(day, [begins[min(d + jobs[i].nights, days)] for d in range(days)], then)
            model.add(begin[i] + whole[i] - 1 >= low)
            model.add(begin[i] + whole[i] <= high)
            again[i] = then
    model.add_no_overlap([model.new_fixed_size_interval_var(begin[i], whole[i], f"i{i}") for i in counted])
    for i in counted:
        for k in jobs[i].after:
            model.add(begin[i] >= (again[k] if k in again else begin[k] + whole[k]))
    ends: list[Any] = []
    latest = model.new_int_var(0, most, "latest")
    for build in dict.fromkeys(jobs[i].build for i in counted):
        mine = [i for i in counted if jobs[i].build == build]
        end = model.new_int_var(0, most, f"e{build}")
        model.add_max_equality(end, [begin[i] + whole[i] for i in mine])
        ends.append(end)
        if due.get(build) is not None:
            model.add(latest >= end - int(due_min(due, build, calendar)))
    model.minimize(LATE_WEIGHT * latest + sum(ends))
    for i in counted:
        model.add_hint(begin[i], math.ceil(starts[i]))
    solver = cp_model.CpSolver()
    solver.parameters.max_deterministic_time = work
    solver.parameters.max_time_in_seconds = _STUCK_S
    solver.parameters.num_workers = 1
    solver.parameters.random_seed = 7
    found = solver.solve(model)
    least = max(0.0, solver.best_objective_bound)
    if found not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return list(starts), least
    better = _with_later(jobs, whole, {i: float(solver.value(one)) for i, one in begin.items()}, calendar)
    if cost_of(jobs, whole, better, due, calendar) > _WORTH * cost_of(jobs, whole, starts, due, calendar):
        return list(starts), least  # her own order is worth more
    return better, least


def _with_later(
    jobs: Sequence[Job], whole: Sequence[int], starts: Mapping[int, float], calendar: Calendar
) -> list[float]:
    """With what may be done after the day put into the first gap that takes it, else after all the rest."""
    found = dict(starts)
    for i in range(len(jobs)):
        if i in found:
            continue
        early = released(jobs[i], calendar)
        for k in jobs[i].after:
            end = found[k] + whole[k]
            early = max(early, float(calendar.after_days(end, jobs[k].nights)) if jobs[k].nights else end)
        for start, end in sorted((at, at + whole[k]) for k, at in found.items()):
            if end > early and start < early + whole[i]:
                early = end
        found[i] = early
    return [found[i] for i in range(len(jobs))]


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
    if start > 0 and abs(math.ceil(released(jobs[i], calendar)) - start) < 1:
        return ("appointment" if jobs[i].on is not None else "delivery"), None
    for k in jobs[i].after:
        if abs(starts[k] + whole[k] - start) < 1:
            return "step", k
    if before is not None and abs(starts[before] + whole[before] - start) < 1:
        return "hands", before
    return "start", None
