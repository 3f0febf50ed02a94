"""Her hours as minutes one after the other: which day a minute is on, and what a night is."""

import datetime

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.making.hours import Calendar, Hours
from tests.saying import unread

MONDAY = datetime.date(2026, 11, 23)


def day(number):
    return MONDAY + datetime.timedelta(days=number)


def test_minutes_run_from_day_to_day_and_over_days_without_hours():
    calendar = Calendar(Hours(by_weekday=(60, 0, 30, 0, 0, 120, 0)), MONDAY, 200, least_days=10)
    assert [float(one) for one in calendar.begins[:8]] == [0, 60, 60, 90, 90, 90, 210, 210]
    assert calendar.date_of_start(0) == MONDAY
    assert calendar.date_of_end(60) == MONDAY
    assert calendar.date_of_start(60) == day(2)  # Tuesday has no hours
    assert calendar.date_of_end(75) == day(2)
    assert calendar.date_of_start(90) == day(5)
    assert (calendar.begin(day(2)), calendar.end(day(2))) == (60, 90)
    assert calendar.begin(day(-3)) == 0
    assert float(calendar.after_days(30, 1)) == 60  # begun on Monday, gone on with from Tuesday, in truth Wednesday
    assert float(calendar.after_days(75, 4)) == 210


def test_days_off_have_no_hours_and_hours_beyond_a_day_are_refused():
    hours = Hours(by_weekday=(60,) * 7, off=(day(1), day(2)))
    assert [hours.on(day(i)) for i in range(4)] == [60, 0, 0, 60]
    with unread("The minutes of a day goes from 0 to 960"):
        Hours(by_weekday=(2000,) * 7)
    with pytest.raises(Unmakeable):
        Calendar(Hours(by_weekday=(60,) * 7, off=tuple(day(i) for i in range(400))).model_copy(), MONDAY, 60_000)


@settings(max_examples=80)
@given(
    st.lists(st.floats(0, 300), min_size=7, max_size=7).filter(lambda week: sum(week) > 60),
    st.floats(0, 2000),
    st.integers(0, 5),
)
def test_what_ends_on_a_day_ends_within_its_hours_and_a_wait_never_goes_back(week, minutes, nights):
    calendar = Calendar(Hours(by_weekday=tuple(week)), MONDAY, 2500)
    ends_on = calendar.date_of_end(minutes)
    assert calendar.begin(ends_on) - 1e-3 <= minutes <= calendar.end(ends_on) + 1e-3
    assert calendar.date_of_start(minutes) >= ends_on or minutes == 0
    later = float(calendar.after_days(minutes, nights))
    if nights:
        assert later >= calendar.end(ends_on) - 1e-6 or later == float(calendar.begins[-1])
        assert later >= minutes - 1e-3
