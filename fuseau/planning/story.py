"""The story of a build's mock-ups: what was believed after each, what it cost, and what it bought."""

import datetime

from fuseau.craft.base.record import Record, Unmakeable
from fuseau.craft.closures.front import FrontChoices
from fuseau.craft.fit.equilibrium import Unsettled
from fuseau.craft.fitting.inference import infer
from fuseau.craft.fitting.readiness import readiness
from fuseau.craft.pattern.dress_stand import Stand
from fuseau.craft.wearer.body import missing_measures
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Brief, Build
from fuseau.document.fittings import GapReading
from fuseau.planning.cache import Kept
from fuseau.planning.fitted import hung
from fuseau.planning.observations import tried_on
from fuseau.planning.pattern import aim_at, edges, final_lacing

_DRAWS = 100


class Believed(Record):
    """A girth as it was believed then, with its spread (one standard deviation), mm."""

    name: LevelName
    girth_mm: float
    spread_mm: float


class Chapter(Record):
    """One fitting, or the tape before any: what was read, what was believed after it, and the odds then.

    `probability` is that of a garment cut then from the pattern that would have followed; `bought` by how much it rose.
    """

    fitting: int | None
    version: int | None
    tried_on: datetime.date | None
    gaps: tuple[GapReading, ...]
    levels: tuple[Believed, ...]
    probability: float | None
    bought: float | None
    hours: float | None
    cost: float | None


def story(build: Build, *, kept: Kept | None = None) -> tuple[Chapter, ...]:
    """The chapters in order, the tape's first; empty while measures are missing or the garment is tied.

    About a fifth of a second for each fitting; with `kept`, only what is new is worked out.
    """
    kept = kept or Kept()
    kind = KINDS[build.kind]
    if kind.tied or missing_measures(build.wearer, kind.needed):
        return ()
    chapters: list[Chapter] = []
    try:
        for count in range(len(build.fittings) + 1):
            told = kept.stage(f"chapter {count}", _chapter, _until(build, count))
            before = chapters[-1].probability if chapters else None
            bought = None if before is None or told.probability is None else told.probability - before
            chapters.append(told.model_copy(update={"bought": bought}))
    except (Unmakeable, Unsettled):
        return tuple(chapters)
    return tuple(chapters)


def _until(build: Build, count: int) -> Build:
    """The build as it stood after so many fittings, with today's wishes; without what the story does not tell of."""
    fittings = build.fittings[:count]
    newest = max((one.version for one in fittings), default=0)
    return build.model_copy(
        update={
            "brief": Brief(),
            "front": FrontChoices(),
            "stand": Stand(),
            "line_edits": (),
            "versions": build.versions[:newest],
            "fittings": fittings,
        }
    )


def _chapter(build: Build) -> Chapter:
    last = build.fittings[-1] if build.fittings else None
    measured = build.body
    belief = infer(measured, tried_on(build, measured))
    body = hung(build, belief.body)
    aimed, pattern = aim_at(build, body, *edges(build, body))
    odds = readiness(belief, final_lacing(build, pattern, aimed), build.target.gap_mm, draws=_DRAWS)
    return Chapter(
        fitting=last.number if last else None,
        version=last.version if last else None,
        tried_on=last.tried_on if last else None,
        gaps=last.readings if last else (),
        levels=tuple(
            Believed(name=level.name, girth_mm=level.girth_mm, spread_mm=level.spread_mm) for level in belief.body
        )[::-1],
        probability=odds.probability,
        bought=None,
        hours=last.hours if last else None,
        cost=last.cost if last else None,
    )
