"""The day plan, read back from its paper."""

import datetime
import io

from pypdf import PdfReader

from fuseau.craft.making.hours import Hours
from fuseau.document.shelf import Shelf
from fuseau.files.day_plan import day_plan_pdf, on_day
from fuseau.planning.stages.make import known_rates
from fuseau.planning.workshop.schedule import AtWork, plan_work
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)


def work():
    build = edited(built("cincher"), brief__name="Ash & <Ember>")
    return plan_work([AtWork("a", build, plan(build))], Shelf(), Hours(), TODAY, known_rates([]), look=0, runs=20)


def test_the_days_are_listed_with_their_steps_minutes_and_cautions():
    found = work()
    for paper in ("a4", "letter"):
        pages = PdfReader(io.BytesIO(day_plan_pdf(found, paper, "cm"))).pages
        text = "\n".join(page.extract_text() for page in pages)
        assert "Day plan from Thursday, 26 November" in text
        assert "Friday, 27 November, 1 h" in text
        assert "Ash & <Ember>: Make mock-up 1" in text
        first = found.schedule.slots[0]
        assert f"120 of {first.end_min - first.start_min:.0f}" in text.replace("\n", " ")
    assert "Stop and loosen" in text


def test_a_step_that_goes_on_the_next_day_stands_on_both_and_adds_up():
    found = work()
    days = [TODAY + datetime.timedelta(days=i) for i in range(len(found.minutes_by_day))]
    parts: dict[str, float] = {}
    for day in days:
        there = on_day(found, day)
        assert sum(part for _, part in there) <= found.minutes_by_day[(day - TODAY).days] + 1e-6
        for slot, part in there:
            parts[slot.key] = parts.get(slot.key, 0.0) + part
    for slot in found.schedule.slots:
        assert abs(parts[slot.key] - (slot.end_min - slot.start_min)) < 1e-6
