"""The work as a calendar for other programs: steps by day, waits, parcels, and the days that builds are needed."""

import datetime
from collections.abc import Iterator

from icalendar import Calendar, Event

from fuseau.craft.base.lengths import Unit
from fuseau.craft.making.steps import StepKey
from fuseau.planning.workshop.schedule import WorkPlan
from fuseau.wording import Words


def calendar_ics(work: WorkPlan, unit: Unit) -> bytes:
    """An iCalendar file (RFC 5545) with a day-long event for each step on the days on which it is done.

    The numbers of the events are of the build and the step, so that a calendar that reads it again moves them.
    """
    say = Words(unit)
    calendar = Calendar()
    calendar.add("prodid", "-//Fuseau//work//EN")
    calendar.add("version", "2.0")
    calendar.add("x-wr-calname", "Fuseau")
    stamp = datetime.datetime.combine(work.today, datetime.time(), tzinfo=datetime.UTC)
    names = {(step.build, step.key): say(step.name) for step in work.steps}
    agreements = {(step.build, step.key): step.appointment for step in work.steps}
    builds = {build.build: build.name for build in work.builds}
    for slot in work.schedule.slots:
        key: tuple[str, StepKey] = slot.build, slot.key
        about = f"{slot.end_min - slot.start_min:.0f} minutes" + (", on the critical chain" if slot.critical else "")
        title = f"{builds[slot.build]}: {names[key]}"
        agreed = agreements.get(key)
        if agreed is not None:
            about = "; ".join(part for part in ("agreed", agreed.note, about) if part)
        _add(
            calendar, f"{slot.build}-{slot.key}", title, slot.starts_on, slot.ends_on, about, stamp, agreed is not None
        )
    for build, nights_of in _waits(work):
        for step, first, last in nights_of:
            title = f"{builds[build]}: {names[build, step]}, it sets"
            _add(calendar, f"{build}-{step}-waits", title, first, last, "", stamp)
    for i, parcel in enumerate(work.parcels):
        _add(
            calendar,
            f"parcel-{i}-{parcel.due_on}",
            f"Parcel from {parcel.shop}",
            parcel.due_on,
            parcel.due_on,
            ", ".join(parcel.what),
            stamp,
        )
    for one in work.builds:
        if one.needed_on is not None:
            _add(calendar, f"{one.build}-needed", f"{one.name} is needed", one.needed_on, one.needed_on, "", stamp)
    return bytes(calendar.to_ical())


def _waits(work: WorkPlan) -> Iterator[tuple[str, list[tuple[StepKey, datetime.date, datetime.date]]]]:
    """Of each build the steps that something waits for overnight, from the day they end to the day it goes on."""
    ends = {(slot.build, slot.key): slot.ends_on for slot in work.schedule.slots}
    for build in work.builds:
        found = {
            slot.after[1]: (slot.after[1], ends[slot.after], slot.starts_on)
            for slot in work.schedule.slots
            if slot.build == build.build and slot.held_by == "wait" and slot.after is not None
        }
        yield build.build, list(found.values())


def _add(
    calendar: Calendar,
    uid: str,
    title: str,
    first: datetime.date,
    last: datetime.date,
    about: str,
    stamp: datetime.datetime,
    busy: bool = False,
) -> None:
    event = Event()
    event.add("uid", f"{uid.replace(' ', '-')}@fuseau")
    event.add("dtstamp", stamp)
    event.add("summary", title)
    event.add("dtstart", first)
    event.add("dtend", last + datetime.timedelta(days=1))
    event.add("transp", "OPAQUE" if busy else "TRANSPARENT")
    if about:
        event.add("description", about)
    calendar.add_component(event)
