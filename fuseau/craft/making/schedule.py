"""When each step is done: one pair of hands, their hours, waits, deliveries and appointments (model, section 13).

A single-machine problem with precedences, release days and waits, minimising the latest build's lateness and then the
ends of all. A list schedule by due day is the first answer, Jackson's preemptive schedule what none is better than;
where they differ, OR-Tools CP-SAT looks for more. See Brucker, "Scheduling Algorithms", 2007, chapter 4.
"""

import datetime
import math
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from heapq import heappop, heappush
from itertools import accumulate
from typing import Any, Literal

from fuseau.craft.base.record import Record
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.hours import Calendar
from fuseau.craft.making.steps import StepKey

_LATE_WEIGHT = 50
_SECONDS = 0.6
_NIGHT_MIN = 180  # what a night of waiting is worth, where work is put in order
_WORTH = 0.99  # of the cost: what is no better leaves her order as it is
_NEAR = 0.01  # nearer than this to what none is better than, it is left so


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
    starts: list[float] = []
    for rank in _orders(jobs, whole, due, calendar, ranks or {}):
        tried = _listed(jobs, whole, calendar, rank)
        if not starts or _cost(jobs, whole, tried, due, calendar) < _WORTH * _cost(jobs, whole, starts, due, calendar):
            starts = tried
    least = _least(jobs, whole, due, calendar)
    if seconds and _cost(jobs, whole, starts, due, calendar) > (1 + _NEAR) * least + 0.5:
        starts, proven = _bettered(jobs, whole, starts, due, calendar, seconds)
        least = max(least, proven)
    cost = _cost(jobs, whole, starts, due, calendar)
    return _told(jobs, whole, starts, due, calendar, max(0.0, 1 - (least + 0.5) / cost))


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
    yield [float(one) for one in urgency(jobs, due, ranks)]
    far = float(calendar.begins[-1])
    dues = [min(far, _due_min(due, job.build, calendar)) if job.counts else math.inf for job in jobs]
    tails = _tails(jobs, whole)
    yield [day - tail for day, tail in zip(dues, tails, strict=True)]
    slow = _tails(jobs, [one + _NIGHT_MIN * job.nights for one, job in zip(whole, jobs, strict=True)])
    yield [day - tail for day, tail in zip(dues, slow, strict=True)]


def _listed(jobs: Sequence[Job], whole: Sequence[int], calendar: Calendar, rank: Sequence[float]) -> list[float]:
    """The most urgent that can begin is begun; where none can, the clock goes on to when the first can."""
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


def _cost(
    jobs: Sequence[Job],
    whole: Sequence[int],
    starts: Sequence[float],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
) -> float:
    """What is to be least: how late the latest build is, many times over, and the ends of all builds."""
    ends: dict[str, float] = {}
    for i, job in enumerate(jobs):
        if job.counts:
            ends[job.build] = max(ends.get(job.build, 0.0), starts[i] + whole[i])
    late = [end - _due_min(due, build, calendar) for build, end in ends.items()]
    return _LATE_WEIGHT * max([0.0, *late]) + sum(ends.values())


def _due_min(due: Mapping[str, datetime.date | None], build: str, calendar: Calendar) -> float:
    day = due.get(build)
    return math.inf if day is None else float(math.floor(calendar.end(day)))


def _least(
    jobs: Sequence[Job], whole: Sequence[int], due: Mapping[str, datetime.date | None], calendar: Calendar
) -> float:
    """No schedule costs less. Each job may be broken off and begun at its earliest, and is followed by no wait.

    So the latest build is as late as in Jackson's preemptive schedule, by due days less what has to follow; the ends
    add up to no less than those of the builds in the order of their work, nor than each by itself.
    """
    heads, tails = _heads(jobs, whole, calendar), _tails(jobs, whole)
    counted = [i for i, job in enumerate(jobs) if job.counts]
    dues = [_due_min(due, job.build, calendar) - tails[i] for i, job in enumerate(jobs)]
    late = _preemptive(counted, whole, heads, dues)
    work: dict[str, int] = {}
    for i in counted:
        work[jobs[i].build] = work.get(jobs[i].build, 0) + whole[i]
    alone = 0.0
    for build in work:
        mine = [i for i in counted if jobs[i].build == build]
        alone += _preemptive(mine, whole, heads, [-tail for tail in tails])
    return _LATE_WEIGHT * max(0.0, late) + max(float(sum(accumulate(sorted(work.values())))), alone)


def _heads(jobs: Sequence[Job], whole: Sequence[int], calendar: Calendar) -> list[float]:
    """The earliest that each job could begin, if there were hands for all of them."""
    found: dict[int, float] = {}

    def head(i: int) -> float:
        if i not in found:
            early = float(math.ceil(_released(jobs[i], calendar)))
            for k in jobs[i].after:
                end = head(k) + whole[k]
                early = max(early, float(calendar.after_days(end, jobs[k].nights)) if jobs[k].nights else end)
            found[i] = early
        return found[i]

    return [head(i) for i in range(len(jobs))]


def _tails(jobs: Sequence[Job], whole: Sequence[int]) -> list[float]:
    """The work that has to follow each job in its build before that is ready, one after the other."""
    follows: list[list[int]] = [[] for _ in jobs]
    for i, job in enumerate(jobs):
        for k in job.after:
            follows[k].append(i)
    found: dict[int, float] = {}

    def tail(i: int) -> float:
        if i not in found:
            found[i] = max((whole[k] + tail(k) for k in follows[i] if jobs[k].counts), default=0.0)
        return found[i]

    return [tail(i) for i in range(len(jobs))]


def _preemptive(these: Sequence[int], whole: Sequence[int], heads: Sequence[float], dues: Sequence[float]) -> float:
    """The least by which the latest of some jobs is late, if each may be broken off (1 | r, pmtn | Lmax by due day)."""
    coming = sorted(these, key=lambda i: heads[i])
    ready: list[tuple[float, int]] = []
    left = {i: float(whole[i]) for i in these}
    now, late, at = 0.0, -math.inf, 0
    while at < len(coming) or ready:
        if not ready:
            now = max(now, heads[coming[at]])
        while at < len(coming) and heads[coming[at]] <= now:
            heappush(ready, (dues[coming[at]], coming[at]))
            at += 1
        day, i = ready[0]
        until = heads[coming[at]] if at < len(coming) else math.inf
        if now + left[i] > until:
            left[i] -= until - now
            now = until
            continue
        now += left[i]
        heappop(ready)
        late = max(late, now - day)
    return late


def _bettered(
    jobs: Sequence[Job],
    whole: Sequence[int],
    starts: Sequence[float],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    seconds: float,
) -> tuple[list[float], float]:
    """A schedule that costs no more than the given one, and what none costs less than."""
    from ortools.sat.python import cp_model

    model = cp_model.CpModel()
    counted = [i for i, job in enumerate(jobs) if job.counts]
    heads, tails = _heads(jobs, whole, calendar), _tails(jobs, whole)
    had = _cost(jobs, whole, starts, due, calendar)
    lasts = {  # what costs no more than the given one ends no later
        build: int(min(calendar.begins[-1], _due_min(due, build, calendar) + had / _LATE_WEIGHT, had))
        for build in dict.fromkeys(job.build for job in jobs)
    }
    most = max(lasts.values())
    begins = [round(minutes) for minutes in calendar.begins if minutes <= most + 1]
    begins += [round(calendar.begins[len(begins)])] if len(begins) <= calendar.days else []
    days = len(begins) - 1
    begin, again = {}, {}
    for i in counted:
        latest_i = max(math.ceil(heads[i]), lasts[jobs[i].build] - int(tails[i]) - whole[i])
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
            model.add(latest >= end - int(_due_min(due, build, calendar)))
    model.minimize(_LATE_WEIGHT * latest + sum(ends))
    for i in counted:
        model.add_hint(begin[i], math.ceil(starts[i]))
    solver = cp_model.CpSolver()
    solver.parameters.max_time_in_seconds = seconds
    solver.parameters.num_workers = 1
    solver.parameters.random_seed = 7
    found = solver.solve(model)
    least = max(0.0, solver.best_objective_bound)
    if found not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return list(starts), least
    better = _with_later(jobs, whole, {i: float(solver.value(one)) for i, one in begin.items()}, calendar)
    if _cost(jobs, whole, better, due, calendar) > _WORTH * _cost(jobs, whole, starts, due, calendar):
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
        early = _released(jobs[i], calendar)
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
    if start > 0 and abs(math.ceil(_released(jobs[i], calendar)) - start) < 1:
        return ("appointment" if jobs[i].on is not None else "delivery"), None
    for k in jobs[i].after:
        if abs(starts[k] + whole[k] - start) < 1:
            return "step", k
    if before is not None and abs(starts[before] + whole[before] - start) < 1:
        return "hands", before
    return "start", None
