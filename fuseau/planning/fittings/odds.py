"""The odds that the real garment fits if it were cut now: one reckoning, for the verdict, the stage and the story."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from typing import Self

import numpy as np

from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.target import Aim
from fuseau.craft.fitting.inference import Belief
from fuseau.craft.fitting.readiness import Readiness, Wish, Wished, WornShut, readiness, tied_readiness
from fuseau.craft.fitting.seen import Word
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build
from fuseau.planning.garment.lacings import final_lacing
from fuseau.planning.stages.front import closes_at

# the most of what is comfortable that somebody calls so
_MOST_SHARE: Mapping[Word, float] = {"light": 0.6, "right": 1.0, "firm": 1.3}


@dataclass(frozen=True)
class OddsInputs:
    """What the odds follow from; `ease_mm` is the room in a garment that is tied, None in one that is laced."""

    belief: Belief
    final: Lacing
    wish: Wish
    ease_mm: float | None
    heard: tuple[WornShut, ...] = ()

    @classmethod
    def of(cls, build: Build, belief: Belief, body: Body, aimed: Aim, pattern: Pattern) -> Self:
        """Of a pattern in the final layers and bones."""
        final, ease = final_lacing(build, pattern, aimed), None
        if final.tied_mm is not None:
            ease = build.practice.neck_ease_mm if build.target.ease_mm is None else build.target.ease_mm
        wish = wish_of(build, body, aimed, final)
        return cls(belief, final, wish, ease, heard_of(build, body, final, wish) if final.shut else ())


def heard_of(build: Build, body: Body, final: Lacing, wish: Wish) -> tuple[WornShut, ...]:
    """What was said of mock-ups pinned along their edges, and of the garment itself, closed without a lace."""
    found = []
    for fitting in build.fittings:
        version = build.version_numbered(fitting.version)
        closed = fitting.finished or (fitting.made_of.closing == "pinned" and not fitting.readings)
        if version is None or not closed:
            continue
        pattern = version.pattern
        said = tuple(
            (min(max(body[word.level].back_mm, pattern.hem.cb_mm), pattern.top.cb_mm), _MOST_SHARE[word.word])
            for word in fitting.words
            if word.word in _MOST_SHARE
        )
        lacing = replace(final, pattern=pattern, stack=fitting.made_of.stack, padding=build.padding(fitting.pads))
        found.append(WornShut(lacing, said, wish.closes_n_per_m))
    return tuple(found)


def wish_of(build: Build, body: Body, aimed: Aim, final: Lacing) -> Wish:
    """What the final garment is held against.

    What she decided stands: where she changed it by hand, asked for an ease, or for more than a pull brings, it is
    what she was told that it comes to.
    """
    gap: Wished = build.gap_mm
    decided = final.pattern.decided or build.target.ease_at or not aimed.reaches
    if decided and final.tied_mm is None:
        gap = fit(final, body).gap_mm
    closes = closes_at(build) if final.closed_at_mm is not None and build.front.opening != "none" else None
    return Wish(gap, asked_room(build, body, final), closes)


def asked_room(build: Build, body: Body, lacing: Lacing) -> Wished:
    """What may stand off along the lacing edge because so much room was asked for at a level, mm."""
    if not build.target.ease_at:
        return 0.0
    room = [max(build.target.ease_at.get(level.name, 0.0), 0.0) for level in body]
    return tuple(map(float, np.interp(lacing.z, [level.back_mm for level in body], room)))


def work_out_odds(inputs: OddsInputs) -> Readiness:
    """The odds from seeded draws of the belief."""
    if inputs.ease_mm is not None:
        assert isinstance(inputs.wish.gap_mm, float)
        return tied_readiness(inputs.belief, inputs.final, inputs.wish.gap_mm, inputs.ease_mm)
    return readiness(inputs.belief, inputs.final, inputs.wish, heard=inputs.heard)
