"""The odds that each build is ready by its day: the schedule run many times with minutes, parcels and fittings as they
may fall out (model, section 13). In each run she does what is most urgent of what can be done, as she would.
"""

import datetime
from collections.abc import Mapping, Sequence

import numpy as np

from fuseau.craft.base.record import Record
from fuseau.craft.making.hours import Calendar
from fuseau.craft.making.jobs import Job
from fuseau.craft.making.schedule import urgency

RUNS = 1000


class Odds(Record):
    """Of a build: the share of runs in which it is ready by its day (None: no day), and when it is ready in one of ten,
    in half, and in nine of ten.
    """

    build: str
    probability: float | None
    early_on: datetime.date
    likely_on: datetime.date
    late_on: datetime.date


def odds(
    jobs: Sequence[Job],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    ranks: Mapping[int, int] | None = None,
    runs: int = RUNS,
    seed: int = 7,
) -> tuple[Odds, ...]:
    """The odds of every build, from so many seeded runs.

    Minutes are log-normal about their mean, parcels normal about their day; what may not be needed is left out of as
    many runs. `calendar` has to be long enough for late runs: what goes beyond it ends on its last day.
    """
    if not jobs:
        return ()
    ends = _simulated(jobs, due, calendar, ranks or {}, runs, seed)
    found = []
    for build in dict.fromkeys(job.build for job in jobs if job.counts):
        mine = [i for i, job in enumerate(jobs) if job.build == build and job.counts]
        last = ends[:, mine].max(axis=1)
        day = due.get(build)
        early, likely, late = (float(one) for one in np.quantile(last, (0.1, 0.5, 0.9)))
        found.append(
            Odds(
                build=build,
                probability=None if day is None else float(np.mean(last <= calendar.end(day) + 1e-6)),
                early_on=calendar.date_of_end(early),
                likely_on=calendar.date_of_end(likely),
                late_on=calendar.date_of_end(late),
            )
        )
    return tuple(found)


def _simulated(
    jobs: Sequence[Job],
    due: Mapping[str, datetime.date | None],
    calendar: Calendar,
    ranks: Mapping[int, int],
    runs: int,
    seed: int,
) -> np.ndarray:
    """When each job ends in each run, minutes of work: an array of runs × jobs."""
    chance = np.random.default_rng(seed)
    count = len(jobs)
    spread = np.array([job.spread_ln for job in jobs])
    mean = np.array([job.minutes for job in jobs])
    minutes = mean * np.exp(spread * chance.standard_normal((runs, count)) - spread**2 / 2)
    likely = np.array([job.likely for job in jobs])
    if (likely < 1).any():  # what is needed only together shares one draw in each run, build by build
        drawn = {build: chance.random(runs) for build in dict.fromkeys(job.build for job in jobs)}
        needed = np.stack([drawn[job.build] for job in jobs], axis=1) < likely
        minutes = np.where(needed, minutes, 0.0)
    ready = np.zeros((runs, count))
    for i, job in enumerate(jobs):
        if job.not_before is not None:
            late = np.rint(job.arrives_spread_d * chance.standard_normal(runs)).astype(int)
            day = np.clip((job.not_before - calendar.first).days + late, 0, calendar.days)
            ready[:, i] = calendar.begins[day]
        if job.on is not None:
            ready[:, i] = np.maximum(ready[:, i], calendar.begin(job.on))
    follows = np.zeros((count, count), bool)
    for i, job in enumerate(jobs):
        follows[list(job.after), i] = True
    waits = np.array([job.nights for job in jobs])
    rank = np.array(urgency(jobs, due, ranks), float)
    lacks = np.broadcast_to(follows.sum(axis=0), (runs, count)).copy()
    left = np.ones((runs, count), bool)
    ends = np.zeros((runs, count))
    now, every = np.zeros(runs), np.arange(runs)
    for _ in range(count):
        free = left & (lacks == 0)
        first = np.where(free, ready, np.inf).min(axis=1)
        now = np.maximum(now, first)
        can = free & (ready <= now[:, None] + 1e-6)
        which = np.where(can, rank, np.inf).argmin(axis=1)
        now = now + minutes[every, which]
        ends[every, which] = now
        left[every, which] = False
        over = np.where(waits[which] > 0, calendar.after_days(now, waits[which]), now)
        after = follows[which]
        ready = np.where(after, np.maximum(ready, over[:, None]), ready)
        lacks = lacks - after
    return ends
