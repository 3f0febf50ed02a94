"""The story of a build's mock-ups: what was believed after each, what it cost, and what it bought."""

import datetime
from collections.abc import Callable

from pydantic import Field

from fuseau.craft.base.errors import Unmakeable, Unsettled
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.places import PlacedChange
from fuseau.craft.wearer.body import missing_measures
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Build
from fuseau.document.fittings import GapReading
from fuseau.planning.cache import StageCache
from fuseau.planning.fittings.evidence import with_side_seam_seen
from fuseau.planning.fittings.observations import InferenceInputs, infer_belief
from fuseau.planning.fittings.odds import OddsInputs, work_out_odds
from fuseau.planning.fittings.proposal import ProposalInputs, propose
from fuseau.planning.stages.pattern import AimInputs, aim_pattern
from fuseau.planning.stages.wearer import MeasuredInputs, measured_body


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
    places: tuple[Message, ...] = Field(default=(), description="What was changed at places for it.")


def story(
    build: Build, *, cache: StageCache | None = None, tell: Callable[[float], None] | None = None
) -> tuple[Chapter, ...]:
    """The chapters in order, the tape's first; empty while measures are missing. The last has the verdict's odds.

    About a fifth of a second for each fitting; with `cache`, only what is new is worked out. `tell` hears which share
    is done.
    """
    cache = cache or StageCache()
    kind = GARMENT_KINDS[build.kind]
    if missing_measures(build.wearer, kind.needed):
        return ()
    chapters: list[Chapter] = []
    try:
        for count in range(len(build.fittings) + 1):
            told = _chapter(_until(build, count), cache)
            before = chapters[-1].probability if chapters else None
            bought = None if before is None or told.probability is None else told.probability - before
            chapters.append(told.model_copy(update={"bought": bought}))
            if tell:
                tell((count + 1) / (len(build.fittings) + 1))
    except (Unmakeable, Unsettled):
        return tuple(chapters)
    return tuple(chapters)


def _until(build: Build, count: int) -> Build:
    """The build as it stood after so many fittings, with today's wishes; after the last, as it stands."""
    if count == len(build.fittings):
        return build
    fittings = build.fittings[:count]
    newest = max((fitting.version for fitting in fittings), default=0)
    return build.model_copy(update={"line_edits": (), "versions": build.versions[:newest], "fittings": fittings})


def _chapter(build: Build, cache: StageCache) -> Chapter:
    last = build.fittings[-1] if build.fittings else None
    measured = cache.run(measured_body, MeasuredInputs.of(build))
    belief = cache.run(infer_belief, InferenceInputs.of(build, measured))
    body = with_side_seam_seen(build, belief.body)
    asked = AimInputs.of(build, body)
    aimed, pattern = cache.run(aim_pattern, asked)
    places: tuple[PlacedChange, ...] = ()
    if build.current is not None and last is not None:
        same = build.current.made_for == asked.asked
        made = cache.run(propose, ProposalInputs.of(build, belief, body, aimed, pattern, same))
        pattern = made.pattern if made else build.current.pattern
        places = made.alteration.places if made and made.alteration else ()
    odds = cache.run(work_out_odds, OddsInputs.of(build, belief, body, aimed, pattern)).probability
    return Chapter(
        fitting=last.number if last else None,
        version=last.version if last else None,
        tried_on=last.tried_on if last else None,
        gaps=last.readings if last else (),
        levels=tuple(
            Believed(name=level.name, girth_mm=level.girth_mm, spread_mm=level.spread_mm) for level in belief.body
        )[::-1],
        probability=odds,
        bought=None,
        hours=last.hours if last else None,
        cost=last.cost if last else None,
        places=tuple(
            message(
                "story.place.in" if place.amount_mm < 0 else "story.place.out",
                seam=seam_label(place.seam),
                by_mm=abs(place.amount_mm),
            )
            for place in places
        ),
    )
