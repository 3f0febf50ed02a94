"""The day plan on paper: what is to be done on the next days, with boxes to tick, and what to mind."""

import datetime
from collections.abc import Iterator, Mapping, Sequence

from reportlab.lib.styles import ParagraphStyle
from reportlab.platypus import Flowable, KeepTogether, Paragraph

from fuseau.craft.base.lengths import Unit
from fuseau.craft.making.schedule import Slot
from fuseau.files.lists import as_pdf, list_styles, ruled, safe, tick_box
from fuseau.files.paper import Paper
from fuseau.planning.workshop.schedule import WorkPlan, WorkStep
from fuseau.wording import Words

DAYS = 7


def day_plan_pdf(work: WorkPlan, paper: Paper, unit: Unit, days: int = DAYS) -> bytes:
    """The next days as a list to tick off, each step with its build, minutes and cautions."""
    title, head, plain, small = list_styles()
    story: list[Flowable] = [Paragraph(f"Day plan from {_day(work.today)}", title)]
    for i in range(min(days, len(work.minutes_by_day))):
        day = work.today + datetime.timedelta(days=i)
        rows = list(_rows(work, day, Words(unit), plain, small))
        hours = f"{work.minutes_by_day[i] / 60:g} h" if work.minutes_by_day[i] else "no hours"
        parts: list[Flowable] = [Paragraph(f"{_day(day)}, {hours}", head)]
        if rows:
            parts.append(ruled(rows, (8, 134, 30)))
        story.append(KeepTogether(parts))
    return as_pdf(story, f"Day plan, {work.today.isoformat()}", paper)


def _rows(
    work: WorkPlan, day: datetime.date, say: Words, plain: ParagraphStyle, small: ParagraphStyle
) -> Iterator[Sequence[Flowable | str]]:
    builds = {build.build: build.name for build in work.builds}
    steps: Mapping[tuple[str, str], WorkStep] = {(step.build, step.key): step for step in work.steps}
    for parcel in work.parcels:
        if parcel.due_on == day:
            what = safe(f"A parcel from {parcel.shop}: {', '.join(parcel.what)}")
            yield [tick_box(), Paragraph(what, plain), ""]
    for slot, part in on_day(work, day):
        step = steps[slot.build, slot.key]
        text = [Paragraph(safe(f"{builds[slot.build]}: {say(step.name)}"), plain)]
        if step.appointment is not None:
            note = f": {step.appointment.note}" if step.appointment.note else ""
            text.append(Paragraph(safe(f"Agreed for {_day(step.appointment.on)}{note}"), small))
        text += [Paragraph(safe(say(caution)), small) for caution in step.cautions]
        whole = slot.end_min - slot.start_min
        told = f"{part:.0f} min" if part > whole - 1 else f"{part:.0f} of {whole:.0f} min"
        yield [tick_box(), text, Paragraph(told, plain)]


def on_day(work: WorkPlan, day: datetime.date) -> list[tuple[Slot, float]]:
    """The slots that are worked on a day, each with its minutes of that day, in the order of the hours."""
    number = (day - work.today).days
    begins = sum(work.minutes_by_day[:number])
    ends = begins + work.minutes_by_day[number]
    found = [(slot, min(slot.end_min, ends) - max(slot.start_min, begins)) for slot in work.schedule.slots]
    return [(slot, part) for slot, part in found if part > 0.01]


def _day(day: datetime.date) -> str:
    return f"{day:%A}, {day.day} {day:%B}"
