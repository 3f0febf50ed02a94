"""Her hours: how many minutes of work each day has, from a day on (model, section 13)."""

import datetime
from collections.abc import Mapping
from typing import Annotated

import numpy as np
import numpy.typing as npt
from pydantic import Field

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Amount, Day, Record

_LONGEST_DAYS = 3 * 366
Minutes = Annotated[float, Amount("the minutes of a day", 0, 16 * 60)]


class Hours(Record):
    """Minutes of work by weekday, Monday first, and days on which there are none."""

    by_weekday: tuple[Minutes, Minutes, Minutes, Minutes, Minutes, Minutes, Minutes] = (
        120.0,
        120.0,
        120.0,
        120.0,
        60.0,
        300.0,
        240.0,
    )
    off: tuple[Day, ...] = Field(default=(), max_length=400)

    def on(self, day: datetime.date) -> float:
        """The minutes of a day."""
        return 0.0 if day in self.off else self.by_weekday[day.weekday()]


class Calendar:
    """Days one after the other, and the minutes of work that are over when each begins.

    Work is counted along these minutes: what is begun in the evening goes on the next day. `at_least` are minutes that
    a day has in any case, because somebody comes. Raises Unmakeable at `hours` where there are none, or so few that it
    would take years.
    """

    def __init__(
        self,
        hours: Hours,
        first: datetime.date,
        needed_min: float,
        least_days: int = 60,
        at_least: Mapping[datetime.date, float] | None = None,
    ) -> None:
        if not any(hours.by_weekday):
            raise Unmakeable("hours", "schedule.no_hours")
        minutes = [0.0]
        day = first
        while minutes[-1] < needed_min or len(minutes) <= least_days:
            minutes.append(minutes[-1] + max(hours.on(day), (at_least or {}).get(day, 0.0)))
            day += datetime.timedelta(days=1)
            if len(minutes) > _LONGEST_DAYS:
                raise Unmakeable("hours", "schedule.years")
        self.first = first
        self.begins: npt.NDArray[np.float64] = np.array(minutes)

    @property
    def days(self) -> int:
        """How many days it has."""
        return len(self.begins) - 1

    def minutes(self, days: int) -> tuple[float, ...]:
        """The minutes of the first days."""
        return tuple(float(one) for one in np.diff(self.begins[: days + 1]))

    def begin(self, day: datetime.date) -> float:
        """The minutes that are over when a day begins; before the first none."""
        return float(self.begins[min(max((day - self.first).days, 0), self.days)])

    def end(self, day: datetime.date) -> float:
        """The minutes that are over when a day ends."""
        return self.begin(day + datetime.timedelta(days=1))

    def day_of_end(self, minutes: npt.NDArray[np.float64] | float) -> npt.NDArray[np.int64]:
        """The number of the day on which work that ends at these minutes ends."""
        return np.clip(np.searchsorted(self.begins, np.asarray(minutes) - 1e-6, side="right") - 1, 0, self.days - 1)

    def after_days(
        self, minutes: npt.NDArray[np.float64] | float, days: int | npt.NDArray[np.int64]
    ) -> npt.NDArray[np.float64]:
        """When what has to wait for so many nights after these minutes can be gone on with."""
        return self.begins[np.minimum(self.day_of_end(minutes) + days, self.days)]

    def date_of_start(self, minutes: float) -> datetime.date:
        """The day on which work that starts at these minutes starts."""
        number = int(np.searchsorted(self.begins, minutes + 1e-6, side="right")) - 1
        return self.first + datetime.timedelta(days=min(max(number, 0), self.days - 1))

    def date_of_end(self, minutes: float) -> datetime.date:
        """The day on which work that ends at these minutes ends."""
        return self.first + datetime.timedelta(days=int(self.day_of_end(minutes)))
