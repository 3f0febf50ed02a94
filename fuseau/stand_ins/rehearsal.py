"""A rehearsal: a build laced on the workshop's dress stand, whose true body nobody is told until the cloth is cut."""

import hashlib
import math
from typing import Any, NamedTuple

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.fit.fit import Lacing, gap_shape
from fuseau.craft.fit.target import Pull
from fuseau.craft.fitting.readiness import Failing
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body, believe
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Build
from fuseau.document.fittings import Fitting
from fuseau.planning.fittings.odds import wish_of
from fuseau.planning.garment.lacings import final_lacing, mock_up_lacing
from fuseau.planning.plan import Plan
from fuseau.stand_ins.fitted_stand import TAPE, Noticed, Seen, TrueBody, World, hidden, lace_up, notice, passes

_GAPES = 31  # which of its numbers a stand's place is drawn from
_GAPES_BY_MM, _GAPES_OVER_MM, _GAPE_READ_MM = (8.0, 18.0), 30.0, 1.5
_LIES_ON_MM, _CLEAR_MM = 4.0, 20.0


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


def fit_on_stand(build: Build, planned: Plan, key: str) -> Fitting:
    """A fitting of the present version (or the draft) on the stand; nothing is logged.

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
    gape = _gape(taped, pattern, seed)
    seen = _laced(true, taped, lacing, pull, pull * lacing.stack.stretch_per_n + true.stretch, gape)
    heights: Array = np.array([round(z) for z in np.linspace(seen.z_mm[0] + 8, seen.z_mm[-1] - 8, 6)], dtype=float)
    found = notice(seen, taped, heights, seed + turn, takes=lacing.takes)
    written = as_written(found, taped)
    if gape is not None:
        read = gape.off_mm + float(np.random.default_rng((seed, turn, _GAPES)).normal(0, _GAPE_READ_MM))
        at = {"view": "front", "across": 0.5, "z_mm": round(gape.front_mm), "word": "stands off"}
        written["taps"] = [{**at, "off_mm": max(round(read), 1)}, *written["taps"]]
    about = {
        "number": turn,
        "version": build.current.number if build.current else 1,
        "pull": build.target.pull,
        "made_of": build.mock_up,
        "pads": build.pads,
    }
    return Fitting.model_validate({**about, **written})


def as_written(found: Noticed, taped: Body) -> dict[str, Any]:
    """What was noticed, rounded as it would be written down, as fields of a fitting.

    A stand is round all about: what it does is said of the level, at an end of the edge of the level beyond it, and
    touched only where there is none.
    """
    by_height = {round(level.back_mm): level.name for level in taped}
    heights = [z for z, _ in (*found.words, *found.stand_off)]
    low, high = min(heights, default=0.0), max(heights, default=0.0)
    by_height |= {round(low): level.name for level in [level for level in taped if level.back_mm < low][-1:]}
    by_height |= {round(high): level.name for level in [level for level in taped if level.back_mm > high][:1]}
    at_back: dict[str, Any] = {"view": "back", "across": 0.25}
    taps = [{**at_back, "z_mm": round(z), "word": word} for z, word in found.words if round(z) not in by_height]
    taps += [
        {**at_back, "z_mm": round(z), "word": "stands off"} for z, _ in found.stand_off if round(z) not in by_height
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
    taped, true, seed = _hidden(build, key)
    lacing = final_lacing(build, build.current.pattern, planned.aim)
    pull = lacing.pull_n_per_m
    gape = _gape(taped, build.current.pattern, seed)
    seen = _laced(true, taped, lacing, pull, pull * lacing.stack.stretch_per_n + true.final_stretch, gape)
    passed = dict(passes(seen, taped, wish_of(build, planned.body, planned.aim, lacing), build.practice))
    passed["stand-off"] &= gape is None or gape.off_mm < build.practice.stand_off_mm
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


class _Gape(NamedTuple):
    """Where the garment stands off in front on the stand: the level, its height in front and at the side, how much."""

    level: LevelName
    front_mm: float
    side_mm: float
    off_mm: float


def _gape(taped: Body, pattern: Pattern, seed: int) -> _Gape | None:
    """The place in front at which what is made for this stand has too much cloth, as far as the pattern has it still.

    None where it lies on by now, or the garment does not cover the place.
    """
    chance = np.random.default_rng((seed, _GAPES))
    levels = [level for level in taped if level.name not in ("waist", "hip")]
    level, off = levels[int(chance.integers(len(levels)))], float(chance.uniform(*_GAPES_BY_MM))
    low, high = pattern.hem.cf_mm + _CLEAR_MM, pattern.top.cf_mm - _CLEAR_MM
    left = off + float(pattern.shape.slack_girth(np.array([level.side_mm]))[0][0])
    if not low <= level.front_mm <= high or left < _LIES_ON_MM:
        return None
    return _Gape(level.name, level.front_mm, level.side_mm, left)


def _laced(true: TrueBody, taped: Body, lacing: Lacing, pull: float, stretch: float, gape: _Gape | None) -> Seen:
    slack: Array | float = 0.0
    if gape is not None:
        slack = gape.off_mm * np.exp(-np.square((lacing.z - taped[gape.level].back_mm) / _GAPES_OVER_MM))
    try:
        return lace_up(true, taped, lacing, pull, stretch, slack)
    except RuntimeError:
        raise Unmakeable("rehearsal", "rehearsal.cannot_lace") from None
