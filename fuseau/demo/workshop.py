"""Fills an empty database with the demo workshop.

Fittings are computed: each wearer has a true body that the tape only comes near, the mock-up is settled on it,
pulled a little harder or softer than meant, and the gaps are read with seeded noise.
"""

import dataclasses
import datetime
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any

import numpy as np

from fuseau.build import Build
from fuseau.craft.body import believe
from fuseau.craft.findings import Change
from fuseau.craft.fit import fit
from fuseau.decisions import accept, change, cut_version, log_fitting
from fuseau.plan import plan
from fuseau.shaping import mock_up_lacing
from fuseau.store.opening import open_database
from fuseau.store.workshop import Workshop


@dataclass(frozen=True)
class Story:
    """A demo build: its decisions, how the true body differs from the tape (mm), and how far it has come."""

    decisions: dict[str, Any]
    days_left: int | None
    truly: dict[str, float] = field(default_factory=dict)
    cut: bool = False
    fittings: int = 0
    accepted: int = 0
    archived: bool = False
    seed: int = 1
    notes: tuple[str, ...] = ()


def _level(*readings: str, heights: tuple[float, float, float] | None = None, **more: Any) -> dict[str, Any]:
    front, side, back = heights or (None, None, None)
    return {
        "readings_mm": list(readings),
        "height_front_mm": front,
        "height_side_mm": side,
        "height_back_mm": back,
        **more,
    }


STORIES = (
    Story(
        decisions={
            "brief.name": "Lamplighter Regent",
            "brief.character": "Regent of the Nine Lamps, stage saga “Wick and Tallow”",
            "brief.note": "Worn under an open coat, so the waist must read from the side. Dances in act two.",
            "wearer.name": "Ottilie",
            "wearer.new_to_lacing": False,
            "wearer.underbust": _level("77.1 cm", heights=(84, 88, 92)),
            "wearer.ribs": _level("73.9 cm", heights=(50, 52, 54)),
            "wearer.waist": _level("70 cm", "70.3 cm", "69.8 cm"),
            "wearer.high_hip": _level("88.4 cm", heights=(95, 92, 98)),
            "wearer.hip": _level("96.2 cm", heights=(200, 200, 205)),
            "wearer.waist_to_lap_sitting_mm": "17.5 cm",
            "stand.name": "grey stand",
            "stand.underbust_mm": "74 cm",
            "stand.waist_mm": "68.5 cm",
            "stand.high_hip_mm": "90 cm",
            "stand.above_waist_mm": "38 cm",
            "stand.below_waist_mm": "14 cm",
            "target.job": "reduction_share",
            "target.reduction_percent": 8,
            "draft.panels": 6,
        },
        days_left=19,
        truly={"underbust": 14, "ribs": 9, "waist": -2, "high_hip": -13, "hip": -8},
        cut=True,
        fittings=2,
        accepted=1,
        seed=17,
        notes=(
            "Feels right at the waist. Top edge stands away a little when she turns.",
            "Better. Still not quite even: I can see it in the photo.",
        ),
    ),
    Story(
        decisions={
            "brief.name": "Underclock mender",
            "brief.character": "Apprentice in the puppet film “Seven Small Gears”",
            "brief.note": "Support only. She mends things on stage: bends and kneels.",
            "wearer.name": "Marit",
            "wearer.softness": "lean",
            "wearer.underbust": _level("71.5 cm", "71.8 cm", heights=(78, 82, 85)),
            "wearer.waist": _level("65.5 cm", "65.2 cm", "65.9 cm"),
            "wearer.high_hip": _level("80.5 cm", heights=(90, 90, 95)),
            "wearer.hip": _level("89 cm", heights=(190, 190, 195)),
            "wearer.waist_to_lap_sitting_mm": "16 cm",
            "target.job": "none",
            "target.gap_mm": 30,
            "draft.panels": 5,
            "bones.lacing_edge": "flat_6",
            "bones.seams": "synthetic_7",
        },
        days_left=8,
        truly={"underbust": -6, "waist": 4, "high_hip": 9},
        cut=True,
        fittings=1,
        seed=5,
        notes=("Narrow at the top, wide at the bottom. Sits well otherwise.",),
    ),
    Story(
        decisions={
            "brief.name": "Brass Heron",
            "brief.character": "Ferry captain of the comic “Low Water Court”",
            "wearer.name": "Isaura",
            "wearer.new_to_lacing": False,
            "wearer.softness": "soft",
            "wearer.underbust": _level("88 cm", "88.5 cm", heights=(88, 92, 95)),
            "wearer.ribs": _level("86 cm", heights=(52, 55, 57)),
            "wearer.waist": _level("82 cm", "82.6 cm"),
            "wearer.high_hip": _level("99.5 cm", heights=(95, 95, 100)),
            "wearer.hip": _level("108 cm", heights=(205, 205, 210)),
            "wearer.waist_to_lap_sitting_mm": "16.5 cm",
            "target.job": "reduction",
            "target.reduction_mm": "8.6 cm",
            "target.pull": "firm",
            "draft.panels": 7,
            "bones.lacing_edge": "synthetic_7",
        },
        days_left=47,
        cut=True,
    ),
    Story(
        decisions={
            "brief.name": "Ash cartographer",
            "brief.character": "Surveyor in the radio play “A Map of Cinders”",
            "brief.note": "Her numbers came by letter; nobody has checked them.",
            "wearer.name": "Perpetua, by letter",
            "wearer.underbust": _level("30 1/2 in", unconfirmed=True),
            "wearer.waist": _level("27 3/4 in", unconfirmed=True),
        },
        days_left=88,
    ),
    Story(
        decisions={
            "brief.name": "Saltmarsh warden",
            "brief.character": "Keeper of the sluice, stage saga “Wick and Tallow”",
            "wearer.name": "Ottilie",
            "wearer.underbust": _level("77 cm", heights=(84, 88, 92)),
            "wearer.waist": _level("70 cm"),
            "wearer.high_hip": _level("88 cm", heights=(95, 92, 98)),
            "wearer.hip": _level("96 cm", heights=(200, 200, 205)),
            "target.reduction_percent": 5,
            "draft.panels": 4,
        },
        days_left=-120,
        truly={"waist": 5},
        cut=True,
        fittings=1,
        accepted=1,
        archived=True,
        seed=3,
        notes=("Worn all day in the wind. Next time one panel more.",),
    ),
)


def fill(database: Path, today: datetime.date | None = None) -> None:
    """Make the demo workshop in a database that has no builds; one that has is left alone."""
    workshop = Workshop(open_database(database))
    if workshop.builds() or workshop.builds(archived=True):
        return
    for story in STORIES:
        tell(workshop, story, today or datetime.date.today())


def tell(workshop: Workshop, story: Story, today: datetime.date) -> str:
    """Make one demo build, each step a revision of its own; returns its id."""
    decisions = dict(story.decisions)
    if story.days_left is not None:
        decisions["brief.needed_on"] = (today + datetime.timedelta(days=story.days_left)).isoformat()
    opened = workshop.make(Build(), "made")
    build = change(opened.build, [Change(at=at, value=value) for at, value in decisions.items()], "cm")
    opened = workshop.edit(opened.id, opened.revision, build, "Brief, measures and wishes")
    noise = np.random.default_rng(story.seed)
    begun = today - datetime.timedelta(days=21)
    if story.cut:
        build = cut_version(build, plan(build), begun)
        opened = workshop.edit(opened.id, opened.revision, build, "Version 1 cut")
    for i in range(story.fittings):
        day = begun + datetime.timedelta(days=4 + 8 * i)
        build = log_fitting(build, plan(build), _tried_on(build, story, i, noise), day, "cm")
        opened = workshop.edit(opened.id, opened.revision, build, f"Fitting {i + 1} logged")
        if i < story.accepted and plan(build).proposal is not None:
            build = accept(build, plan(build), day + datetime.timedelta(days=1))
            opened = workshop.edit(opened.id, opened.revision, build, f"Version {len(build.versions)} cut")
    if story.archived:
        workshop.archive(opened.id, True)
    return opened.id


def _tried_on(build: Build, story: Story, i: int, noise: np.random.Generator) -> dict[str, Any]:
    """What a fitting of the current version on the true body would read, to the millimetre."""
    taped = believe(build.wearer, build.zones, build.practice)
    girths = np.array([level.girth_mm + story.truly.get(level.name, 0.0) for level in taped])
    body = taped.with_girths(girths, np.zeros(len(girths)))
    assert build.current is not None
    pattern = build.current.pattern
    laced = mock_up_lacing(build, pattern)
    pulled = laced.pull_n_per_m * float(np.exp(noise.normal(0, 0.15)))
    found = fit(dataclasses.replace(laced, pull_n_per_m=pulled), body)
    heights = np.round(np.linspace(pattern.top.cb_mm - 10, pattern.hem.cb_mm + 10, 5))
    return {
        "pull": build.target.pull,
        "note": story.notes[i] if i < len(story.notes) else "",
        "readings": [
            {"z_mm": float(z), "gap_mm": max(0.0, round(found.gap_at(float(z)) + float(noise.normal(0, 1.5))))}
            for z in heights
        ],
    }
