"""Jobs for one pair of hands: what they cost where they end late, and what no order of them costs less than.

See Brucker, "Scheduling Algorithms", 2007, chapter 4.
"""

import datetime
import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from heapq import heappop, heappush
from itertools import accumulate

from fuseau.craft.making.hours import Calendar
from fuseau.craft.making.steps import StepKey

LATE_WEIGHT = 50


@dataclass(frozen=True)
class Job:
    """A step of a build on the schedule. `after`: places of the jobs that have to be over; `nights` it waits then.

    `not_before`: the day on which what it waits for is here, give or take `arrives_spread_d` days; `on`: the day of its
    appointment: it is begun on that day if what comes before it is over, and not before. `counts`: the build is not
    ready without it. `likely`: with which probability it has to be done at all.
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


def released(job: Job, calendar: Calendar) -> float:
    """The minutes before which a job can't begin: what it waits for comes, or its appointment is, on a later day."""
    days = [day for day in (job.not_before, job.on) if day is not None]
    return calendar.begin(max(days)) if days else 0.0


def cost_of(
    jobs: Sequence[Job],
    whole: Sequence[int],
    starts: Sequence[float],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
) -> float:
    """What is to be least: how late the latest build or appointment is, many times over, and the ends of all builds."""
    ends: dict[str, float] = {}
    for i, job in enumerate(jobs):
        if job.counts:
            ends[job.build] = max(ends.get(job.build, 0.0), starts[i] + whole[i])
    late = [end - due_min(due, build, calendar) for build, end in ends.items()]
    late += [starts[i] - last_start(job, whole[i], calendar) for i, job in enumerate(jobs) if job.on is not None]
    return LATE_WEIGHT * max([0.0, *late]) + sum(ends.values())


def due_min(due: Mapping[str, datetime.date | None], build: str, calendar: Calendar) -> float:
    """The minutes by which a build has to be ready; without a day, never."""
    day = due.get(build)
    return math.inf if day is None else float(math.floor(calendar.end(day)))


def least_cost(
    jobs: Sequence[Job], whole: Sequence[int], due: Mapping[str, datetime.date | None], calendar: Calendar
) -> float:
    """No schedule costs less. Each job may be broken off and begun at its earliest, and is followed by no wait.

    So the latest build is as late as in Jackson's preemptive schedule, by due days less what has to follow; the ends
    add up to no less than those of the builds in the order of their work, nor than each by itself.
    """
    heads, tails = heads_of(jobs, whole, calendar), tails_of(jobs, whole)
    counted = [i for i, job in enumerate(jobs) if job.counts]
    dues = [due_min(due, job.build, calendar) - tails[i] for i, job in enumerate(jobs)]
    late = _preemptive(counted, whole, heads, dues)
    work: dict[str, int] = {}
    for i in counted:
        work[jobs[i].build] = work.get(jobs[i].build, 0) + whole[i]
    alone = 0.0
    for build in work:
        mine = [i for i in counted if jobs[i].build == build]
        alone += _preemptive(mine, whole, heads, [-tail for tail in tails])
    return LATE_WEIGHT * max(0.0, late) + max(float(sum(accumulate(sorted(work.values())))), alone)


def heads_of(jobs: Sequence[Job], whole: Sequence[int], calendar: Calendar) -> list[float]:
    """The earliest that each job could begin, if there were hands for all of them."""
    found: dict[int, float] = {}

    def head(i: int) -> float:
        if i not in found:
            early = float(math.ceil(released(jobs[i], calendar)))
            for k in jobs[i].after:
                end = head(k) + whole[k]
                early = max(early, float(calendar.after_days(end, jobs[k].nights)) if jobs[k].nights else end)
            found[i] = early
        return found[i]

    return [head(i) for i in range(len(jobs))]


def tails_of(jobs: Sequence[Job], whole: Sequence[int]) -> list[float]:
    """The work that has to follow each job in its build before that is ready, one after the other."""
    follows: list[list[int]] = [[] for _ in jobs]
    for i, job in enumerate(jobs):
        for k in job.after:
            if jobs[k].build == job.build:
                follows[k].append(i)
    found: dict[int, float] = {}

    def tail(i: int) -> float:
        if i not in found:
            found[i] = max((whole[k] + tail(k) for k in follows[i] if jobs[k].counts), default=0.0)
        return found[i]

    return [tail(i) for i in range(len(jobs))]


def last_start(job: Job, minutes: float, calendar: Calendar) -> float:
    """The minutes by which a job with an appointment has to begin, so that it is over on its day."""
    assert job.on is not None
    return max(calendar.begin(job.on), calendar.end(job.on) - minutes)


def latest_ends(
    jobs: Sequence[Job],
    whole: Sequence[int],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    far: float,
    night_min: float = 0.0,
) -> list[float]:
    """When each job has to be over, so that its build is ready on its day and each appointment after it is kept.

    A night that something waits counts as `night_min` minutes; what has no day is due at `far`.
    """
    follows: list[list[int]] = [[] for _ in jobs]
    for i, job in enumerate(jobs):
        for k in job.after:
            follows[k].append(i)
    found: dict[int, float] = {}

    def latest(i: int) -> float:
        if i not in found:
            job = jobs[i]
            day = min(far, due_min(due, job.build, calendar)) if job.counts else math.inf
            if job.on is not None:
                day = min(day, last_start(job, whole[i], calendar) + whole[i])
            held = night_min * job.nights
            found[i] = min([day, *(latest(k) - whole[k] - held for k in follows[i])])
        return found[i]

    return [latest(i) for i in range(len(jobs))]


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
