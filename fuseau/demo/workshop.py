"""Fills an empty database with the demo workshop.

Fittings are computed: each wearer has a true body that the tape only comes near, the mock-up is settled on it,
pulled a little harder or softer than meant, and the gaps are read with seeded noise.
"""

import datetime
from dataclasses import dataclass, field
from pathlib import Path
from typing import Any, Literal

import numpy as np

from fuseau.commands.fields import change
from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.base.findings import Change
from fuseau.demo.making import sew
from fuseau.demo.shelf import stock_up
from fuseau.demo.sketches import Look, sketch
from fuseau.document.build import Build, Mark, MeasuringRef, Picture
from fuseau.planning.garment.lacings import mock_up_lacing
from fuseau.planning.pipeline import plan
from fuseau.planning.workshop.card_box import FORM, as_kept, file
from fuseau.stand_ins.fitted_stand import KIND_FLESH, Reader, TrueBody, lace_up, notice
from fuseau.stand_ins.rehearsal import as_written
from fuseau.store.book import Book
from fuseau.store.cards import Cards
from fuseau.store.opening import open_database
from fuseau.store.pictures import KeptPicture, Pictures
from fuseau.store.workshop import Workshop


@dataclass(frozen=True)
class Story:
    """A demo build: its decisions, how the true body differs from the tape (mm), and how far it has come."""

    decisions: dict[str, Any]
    days_left: int | None
    truly: dict[str, float] = field(default_factory=dict)
    cut: bool = False
    fittings: int = 0
    gaps_only: bool = False
    accepted: int = 0
    archived: bool = False
    sewn_until: str = ""
    likes: tuple[str, ...] = ()
    would_change: tuple[str, ...] = ()
    wears: tuple[dict[str, Any], ...] = ()
    shown: Look | None = None
    seed: int = 1
    notes: tuple[str, ...] = ()
    pictures: tuple[tuple[Look, int, bool, str, Literal["reference", "sketch"]], ...] = ()
    marks: tuple[tuple[str, tuple[tuple[float, float], ...]], ...] = ()
    measured_days_ago: tuple[int, ...] = ()
    since_then: dict[str, str] = field(default_factory=dict)


def _level(*readings: str, heights: tuple[float, float, float] | None = None, **more: Any) -> dict[str, Any]:
    front, side, back = heights or (None, None, None)
    return {
        "readings_mm": list(readings),
        "height_front_mm": front,
        "height_side_mm": side,
        "height_back_mm": back,
        **more,
    }


# One wearer with two builds: what her tape said from the underbust down.
MARIT = {
    "wearer.name": "Marit",
    "wearer.softness": "lean",
    "wearer.underbust": _level("71.5 cm", "71.8 cm", heights=(78, 82, 85)),
    "wearer.waist": _level("65.5 cm", "65.2 cm", "65.9 cm"),
    "wearer.high_hip": _level("80.5 cm", heights=(90, 90, 95)),
    "wearer.hip": _level("89 cm", heights=(190, 190, 195)),
    "wearer.waist_to_lap_sitting_mm": "16 cm",
}


STORIES = (
    Story(
        decisions={
            "kind": "longline corset",
            "brief.name": "Lamplighter Regent",
            "brief.character": "Regent of the Nine Lamps, stage saga “Wick and Tallow”",
            "brief.note": "Worn under an open coat, so the waist must read from the side. Dances in act two.",
            "brief.laced_by": "a helper",
            "brief.alone": False,
            "brief.hours_worn": 4,
            "brief.heat": "warm",
            "brief.movement": ["sit", "dance"],
            "brief.worn_under": "a linen shift",
            "brief.worn_over": "the open coat of the Nine Lamps",
            "brief.covered": "the back, by the coat",
            "brief.chosen_because": "The long point carries the row of lamps, and it reads from the back row.",
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
        truly={"underbust": 22, "ribs": 14, "waist": 2, "high_hip": -22, "hip": -14},
        cut=True,
        fittings=2,
        accepted=1,
        seed=33,
        pictures=(
            ("lamps", 0, True, "Act two, by the lamps", "reference"),
            ("lamps", 0, False, "Straight top", "sketch"),
            ("lamps", 1, False, "Dipped top, long point", "sketch"),
        ),
        marks=(
            ("top line", ((0.345, 0.44), (0.5, 0.415), (0.655, 0.44))),
            ("hem", ((0.31, 0.705), (0.5, 0.752), (0.69, 0.705))),
            ("closure", ((0.5, 0.43), (0.5, 0.74))),
            ("waist across", ((0.38, 0.522), (0.62, 0.522))),
            ("hip across", ((0.298, 0.74), (0.702, 0.74))),
            ("trim", ((0.5, 0.70), (0.56, 0.62), (0.62, 0.57))),
        ),
        measured_days_ago=(24, 2),
        since_then={"waist": "68.9 cm", "high_hip": "88 cm"},
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
            **MARIT,
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
        gaps_only=True,
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
            "kind": "strapless bodice",
            "brief.name": "Beekeeper General",
            "brief.character": "Commander of hives in the comic “Smoke and Honey”",
            "brief.note": "Holds a skirt of four kilos up. No straps may show.",
            "brief.alone": True,
            "brief.hours_worn": 7,
            "brief.heat": "hot",
            "brief.movement": ["sit", "raise arms"],
            **MARIT,
            "wearer.high_bust": _level("82.4 cm", heights=(205, 185, 180)),
            "wearer.bust": _level("86.5 cm", "86.2 cm", heights=(158, 145, 145), front_arc_mm="47.5 cm"),
            "wearer.bust_points_mm": "17.4 cm",
            "wearer.shoulders_mm": "101 cm",
            "front.opening": "hidden zip",
            "front.line": "side",
            "bones.seams": "synthetic_7",
            "bones.between_seams": "synthetic_7",
            "back.pattern": "cross with pull loops",
            "trims.along": [
                {
                    "key": "t1",
                    "name": "amber beads",
                    "line": {"on": "top line", "in_mm": 6},
                    "pitch_mm": 14,
                    "grams": 0.4,
                    "at_hand": 60,
                }
            ],
            "trims.areas": [
                {
                    "key": "a1",
                    "name": "bee, embroidered motif",
                    "how": "motif",
                    "wide_mm": 28,
                    "high_mm": 24,
                    "count": 4,
                }
            ],
            "trims.flossing": [{"key": "f1", "pattern": "fan", "ends": "top"}],
            "trims.hanging": [
                {
                    "key": "h1",
                    "name": "skirt in two tiers",
                    "line": {"on": "hem"},
                    "tiers": [{"depth_mm": 420, "fullness": 2}, {"depth_mm": 560, "fullness": 1.6}],
                    "cloth": "taffeta",
                    "more_grams": 3200,
                }
            ],
            "trims.chains": [
                {"key": "c1", "name": "hive chain", "span_mm": 180, "sag_mm": 45, "count": 2, "grams": 120}
            ],
        },
        days_left=33,
        cut=True,
        pictures=(
            ("bees", 1, False, "Skirt sits under the point", "sketch"),
            ("bees", 0, False, "Short hem", "sketch"),
        ),
        measured_days_ago=(12,),
    ),
    Story(
        decisions={
            "kind": "neck corset",
            "brief.name": "Ash cartographer",
            "brief.character": "Surveyor in the radio play “A Map of Cinders”",
            "brief.note": "Her numbers came by letter; nobody has checked them.",
            "brief.movement": ["turn the head"],
            "wearer.name": "Perpetua, by letter",
            "wearer.upper_neck": _level("13 1/4 in", unconfirmed=True),
            "wearer.neck_base": _level("14 3/4 in", unconfirmed=True),
        },
        days_left=88,
        pictures=(
            ("collar", 0, False, "Straight to the collarbone", "sketch"),
            ("collar", 1, False, "Flared", "sketch"),
        ),
    ),
    Story(
        decisions={
            "brief.name": "Tinder archivist",
            "brief.character": "Keeper of burnt letters, puppet film “The Dry Shelf”",
            "brief.hours_worn": 5,
            **MARIT,
            "target.reduction_percent": 6,
            "draft.panels": 5,
            "front.opening": "busk",
        },
        days_left=12,
        truly={"waist": 2},
        cut=True,
        fittings=2,
        accepted=2,
        sewn_until="channels 3",
        seed=8,
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
        shown="reeds",
        likes=("The hem sits on the hip without rolling.", "In and out alone in four minutes."),
        would_change=("One panel more: the sides pull.", "A softer bone beside the busk."),
        wears=(
            {"days_ago": 121, "hours": 6, "heat": "cool", "gap_mm": 52, "comfort": "fine"},
            {"days_ago": 120, "hours": 9, "heat": "cool", "gap_mm": 49, "comfort": "tiring", "note": "in the wind"},
            {"days_ago": 74, "hours": 4, "heat": "warm", "gap_mm": 44, "comfort": "easy"},
            {"days_ago": 31, "hours": 7, "heat": "warm", "gap_mm": 38, "comfort": "fine", "gave_way": "one bone tip"},
        ),
        seed=3,
        notes=("Worn all day in the wind. Next time one panel more.",),
    ),
    Story(
        decisions={
            "kind": "cincher",
            "brief.name": "Pendulum wright",
            "brief.character": "Clockmaker in the puppet film “Seven Small Gears”",
            **MARIT,
            "target.reduction_percent": 7,
            "draft.panels": 4,
            "front.opening": "hooks",
        },
        days_left=-61,
        truly={"waist": -3},
        cut=True,
        fittings=1,
        accepted=1,
        archived=True,
        shown="gears",
        likes=("Goes under the apron and nobody sees where it ends.",),
        would_change=("Eyelets nearer at the waist.",),
        wears=(
            {"days_ago": 61, "hours": 5, "heat": "warm", "gap_mm": 46, "comfort": "easy"},
            {"days_ago": 33, "hours": 8, "heat": "hot", "gap_mm": 45, "comfort": "tiring", "note": "two shows"},
        ),
        seed=12,
        notes=("Sits. The lace wants to be longer.",),
    ),
)


def fill(database: Path, today: datetime.date | None = None) -> None:
    """Make the demo workshop in a database that has no builds; one that has is left alone."""
    engine = open_database(database)
    workshop = Workshop(engine)
    if workshop.builds() or workshop.builds(archived=True):
        return
    for story in STORIES:
        tell(workshop, story, today or datetime.date.today(), Book(engine), Pictures(engine))
    stock_up(engine, workshop, today or datetime.date.today())
    cards = Cards(engine)
    for worn in workshop.builds(archived=True):
        cards.keep(worn.id, worn.revision, FORM, as_kept(file(worn.build, plan(worn.build))))


def tell(workshop: Workshop, story: Story, today: datetime.date, book: Book, album: Pictures) -> str:
    """Make one demo build, each step a revision of its own; returns its id."""
    decisions = dict(story.decisions)
    if story.days_left is not None:
        decisions["brief.needed_on"] = (today + datetime.timedelta(days=story.days_left)).isoformat()
    opened = workshop.make(Build(), "made")
    build = change(opened.build, [Change(at=at, value=value) for at, value in decisions.items()], "cm")
    build = _illustrated(build, story, album)
    build = _in_the_book(build, story, today, book)
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
    if story.sewn_until:
        build = sew(build, story.sewn_until, today, story.seed)
        opened = workshop.edit(opened.id, opened.revision, build, "Sewn so far")
    if story.wears:
        build = change(build, _record(story, today, album), "cm")
        opened = workshop.edit(opened.id, opened.revision, build, "Worn")
    if story.archived:
        workshop.archive(opened.id, True)
    return opened.id


def _photos(look: Look, variant: int, album: Pictures) -> list[dict[str, Any]]:
    """The finished garment from both sides, kept in the album."""
    found = []
    for view in ("front", "back"):
        drawn = sketch(look, variant, behind=view == "back")
        album.keep(KeptPicture(**drawn.__dict__))
        found.append({"id": drawn.id, "view": view, "width_px": drawn.width_px, "height_px": drawn.height_px})
    return found


def _record(story: Story, today: datetime.date, album: Pictures) -> list[Change]:
    """What is written on the card of a finished build."""
    wears = [
        {name: value for name, value in wear.items() if name != "days_ago"}
        | {"on": (today - datetime.timedelta(days=wear["days_ago"])).isoformat()}
        for wear in story.wears
    ]
    finished = today - datetime.timedelta(days=max(wear["days_ago"] for wear in story.wears) + 3)
    return [
        Change(at="record.finished_on", value=finished.isoformat()),
        Change(at="record.likes", value=list(story.likes)),
        Change(at="record.would_change", value=list(story.would_change)),
        Change(at="record.wears", value=wears),
        Change(at="record.photos", value=_photos(story.shown, 0, album) if story.shown else []),
    ]


def _illustrated(build: Build, story: Story, album: Pictures) -> Build:
    """The build with its pictures; marks go on the first, the last sketch is the chosen one."""
    pictures = []
    for i, (look, variant, night, name, role) in enumerate(story.pictures):
        drawn = sketch(look, variant, night)
        album.keep(KeptPicture(**drawn.__dict__))
        marks = tuple(Mark(kind=kind, points=points) for kind, points in story.marks) if i == 0 else ()
        size = {"width_px": drawn.width_px, "height_px": drawn.height_px}
        pictures.append(Picture(id=drawn.id, name=name, role=role, marks=marks, **size))
    chosen = pictures[-1].id if build.brief.chosen_because else None
    brief = build.brief.model_copy(update={"pictures": tuple(pictures), "chosen_sketch": chosen})
    return build.model_copy(update={"brief": brief})


def _in_the_book(build: Build, story: Story, today: datetime.date, book: Book) -> Build:
    """The measures written down in the book; the build rests on the first measuring, a later one has moved on."""
    for i, days in enumerate(story.measured_days_ago):
        taken_on = today - datetime.timedelta(days=days)
        wearer = build.wearer
        if i:
            again = change(
                build, [Change(at=f"wearer.{at}.readings_mm", value=[mm]) for at, mm in story.since_then.items()], "cm"
            )
            wearer = again.wearer
        made = book.write_down(wearer, taken_on)
        if i == 0:
            ref = MeasuringRef(wearer_id=made.wearer_id, measuring_id=made.id, taken_on=taken_on)
            build = build.model_copy(update={"measuring": ref})
    return build


def _tried_on(build: Build, story: Story, i: int, noise: np.random.Generator) -> dict[str, Any]:
    """What a fitting of the current version on the stand with the story's true body shows, as it is written down."""
    taped = build.body
    girths = np.array([level.girth_mm + story.truly.get(level.name, 0.0) for level in taped])
    true = TrueBody(girths, np.array([level.give for level in taped]), 0.008, KIND_FLESH)
    assert build.current is not None
    laced = mock_up_lacing(build, build.current.pattern)
    pull = laced.pull_n_per_m * float(np.exp(noise.normal(0, 0.15)))
    seen = lace_up(true, taped, laced, pull, pull * laced.stack.stretch_per_n + true.stretch)
    heights = np.array([round(z) for z in np.linspace(seen.z_mm[0] + 10, seen.z_mm[-1] - 10, 5)], dtype=float)
    found = notice(seen, taped, heights, 100 * story.seed + i, laced.takes, Reader(1.5, 0.01))
    return {
        "pull": build.target.pull,
        "note": story.notes[i] if i < len(story.notes) else "",
        "hours": 5.5 - 1.5 * i,
        "cost": 14.0,
        **{
            field: said
            for field, said in as_written(found, taped).items()
            if field == "readings" or not story.gaps_only
        },
    }
