"""A rehearsal: a build laced on the workshop's dress stand, whose true body nobody is told until the cloth is cut."""

import hashlib
import math
from typing import Any

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.fit.fit import Lacing, gap_shape
from fuseau.craft.fit.target import Pull
from fuseau.craft.fitting.readiness import Failing
from fuseau.craft.wearer.body import Body, believe
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Build
from fuseau.planning.lacings import final_lacing, mock_up_lacing
from fuseau.planning.odds import wish_of
from fuseau.planning.plan import Plan
from fuseau.stand_ins.fitted_stand import TAPE, Noticed, Seen, TrueBody, World, hidden, lace_up, notice, passes


class TrueLevel(Record):
    """A girth as the tape had it, as it was believed, and as it was, mm."""

    name: LevelName
    taped_mm: float
    believed_mm: float
    true_mm: float


class Outcome(Record):
    """What the final garment does on the stand: whether it passes, its gap, and the body that was hidden."""

    passes: bool
    fails: tuple[Failing, ...]
    mean_gap_mm: float
    tilt_mm: float
    bow_mm: float
    levels: tuple[TrueLevel, ...]


def _hidden(build: Build, key: str) -> tuple[Body, TrueBody, int]:
    if build.rehearsal is None:
        raise Unmakeable("rehearsal", "rehearsal.none")
    world: World = build.rehearsal
    seed = int.from_bytes(hashlib.sha256(key.encode()).digest()[:4], "big")
    kind = GARMENT_KINDS[build.kind]
    taped = believe(build.wearer, build.zones, build.practice, kind.levels, kind.needed)
    return taped, hidden(taped, world, seed, *TAPE[world]), seed


def _laced_behind(build: Build) -> bool:
    """Whether there is a gap to be read: a collar is tied, and what closes edge to edge has none."""
    return build.back.laced and not GARMENT_KINDS[build.kind].tied


def fit_on_stand(build: Build, planned: Plan, key: str) -> dict[str, Any]:
    """A fitting of the present version (or the draft) on the stand, as `log_fitting` takes it; nothing is logged.

    `key` names the stand's body: the same always hides the same. Raises Unmakeable where the build is no rehearsal,
    or the garment can't be laced on it.
    """
    pattern = build.current.pattern if build.current else planned.drafted
    if pattern is None or not _laced_behind(build):
        raise Unmakeable("rehearsal", "rehearsal.nothing_to_lace")
    taped, true, seed = _hidden(build, key)
    lacing = mock_up_lacing(build, pattern)
    turn = len(build.fittings) + 1
    pull = lacing.pull_n_per_m * math.exp(float(np.random.default_rng((seed, turn)).normal(0, 0.2)))
    seen = _laced(true, taped, lacing, pull, pull * lacing.stack.stretch_per_n + true.stretch)
    heights: Array = np.array([round(z) for z in np.linspace(seen.z_mm[0] + 8, seen.z_mm[-1] - 8, 6)], dtype=float)
    found = notice(seen, taped, heights, seed + turn, takes=lacing.takes)
    return {"pull": build.target.pull, **as_written(found, taped)}


def as_written(found: Noticed, taped: Body) -> dict[str, Any]:
    """What was noticed, rounded as it would be written down, as fields of a fitting.

    A stand is round all about: what it does at a level is said of the level, and touched only at the ends between.
    """
    by_height = {round(level.back_mm): level.name for level in taped}
    at_back: dict[str, Any] = {"view": "back", "across": 0.25}
    taps = [{**at_back, "z_mm": round(z), "word": word} for z, word in found.words if round(z) not in by_height]
    taps += [
        {**at_back, "z_mm": round(z), "word": "stands off", "off_mm": round(off)}
        for z, off in found.stand_off
        if round(z) not in by_height
    ]
    return {
        "words": [{"level": by_height[round(z)], "word": word} for z, word in found.words if round(z) in by_height],
        "stand_offs": [
            {"level": by_height[round(z)], "off_mm": float(round(off))}
            for z, off in found.stand_off
            if round(z) in by_height
        ],
        "readings": [{"z_mm": z, "gap_mm": float(round(gap))} for z, gap in reversed(found.gaps)],
        "taps": sorted(taps, key=lambda tap: -tap["z_mm"]),
        "laced": [
            {"level": by_height[round(z)], "girth_mm": float(round(girth))}
            for z, girth in found.laced
            if round(z) in by_height
        ],
    }


def also_written(found: Noticed, taped: Body, pull: Pull, *, words: bool) -> dict[str, Any]:
    """Another lacing of the evening, as it is written down: its gaps, and where asked, how it sat."""
    written = as_written(found, taped)
    return {"pull": pull, "readings": written["readings"], "words": written["words"] if words else []}


def cut_on_stand(build: Build, planned: Plan, key: str) -> Outcome:
    """The final garment from the present version, laced as planned on the stand, and the body that was hidden.

    Raises Unmakeable where the build is no rehearsal, nothing is cut yet, or it can't be laced.
    """
    if build.current is None or planned.aim is None or planned.body is None or not _laced_behind(build):
        raise Unmakeable("rehearsal", "rehearsal.no_version")
    taped, true, _ = _hidden(build, key)
    lacing = final_lacing(build, build.current.pattern, planned.aim)
    pull = lacing.pull_n_per_m
    seen = _laced(true, taped, lacing, pull, pull * lacing.stack.stretch_per_n + true.final_stretch)
    passed = passes(seen, taped, wish_of(build, planned.body, planned.aim, lacing), build.practice)
    shape = gap_shape(seen.z_mm, seen.gap_mm, 0.0, build.practice)
    return Outcome(
        passes=all(passed.values()),
        fails=tuple(name for name, well in passed.items() if not well),
        mean_gap_mm=shape.mean_mm,
        tilt_mm=shape.tilt_mm,
        bow_mm=shape.bow_mm,
        levels=tuple(
            TrueLevel(name=was.name, taped_mm=was.girth_mm, believed_mm=now.girth_mm, true_mm=float(girth))
            for was, now, girth in zip(taped, planned.body, true.girths_mm, strict=True)
        )[::-1],
    )


def _laced(true: TrueBody, taped: Body, lacing: Lacing, pull: float, stretch: float) -> Seen:
    try:
        return lace_up(true, taped, lacing, pull, stretch)
    except RuntimeError:
        raise Unmakeable("rehearsal", "rehearsal.cannot_lace") from None
