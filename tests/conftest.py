"""Builds that many tests start from: made-up measures."""

import datetime
import os

import pytest
from hypothesis import HealthCheck, settings

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.document.build import Build
from tests.serving import demo_workshop

# What takes long yields to edits; beside two busy browsers it would get no turn at all.
os.environ.setdefault("FUSEAU_GIVE_WAY", "0")

# No test here is failed by the clock: a machine that is busy says nothing of the code. What CI tries depends on the
# code alone, so that a change is judged by itself; everywhere else each run tries new cases.
settings.register_profile("untimed", deadline=None, suppress_health_check=[HealthCheck.too_slow])
settings.register_profile("ci", settings.get_profile("untimed"), derandomize=True)
settings.load_profile("ci" if os.environ.get("CI") else "untimed")

TODAY = datetime.date(2026, 11, 24)

MEASURES = {
    "underbust": {"readings_mm": [772], "height_front_mm": 85, "height_side_mm": 90, "height_back_mm": 95},
    "ribs": {"readings_mm": [742]},
    "waist": {"readings_mm": [700, 704, 698]},
    "high_hip": {"readings_mm": [880], "height_front_mm": 95, "height_side_mm": 90, "height_back_mm": 100},
    "hip": {"readings_mm": [962], "height_side_mm": 200},
}


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    """What takes longest first, so that at the end no worker waits for another: the long, the browser's, the rest."""

    def turn(item: pytest.Item) -> tuple[bool, bool]:
        return item.get_closest_marker("long") is None, "browser" not in getattr(item, "fixturenames", ())

    items.sort(key=turn)


def edited(build: Build, unit: str = "cm", **fields: object) -> Build:
    """A build with fields set; `__` stands for the dots of a path."""
    return change(build, [Change(at=at.replace("__", "."), value=value) for at, value in fields.items()], unit)


@pytest.fixture
def measured() -> Build:
    """A build with a measured wearer and nothing else decided."""
    build = edited(Build(), **{f"wearer__{name}": level for name, level in MEASURES.items()})
    return edited(build, wearer__waist_to_lap_sitting_mm=175, brief__name="Tidewarden")


@pytest.fixture
def today() -> datetime.date:
    return TODAY


@pytest.fixture(scope="session")
def demo_database():
    """The demo workshop; each test works on a copy."""
    return demo_workshop()
