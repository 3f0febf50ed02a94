"""The odds that the real garment fits if it were cut now: one reckoning, for the verdict, the stage and the story."""

from dataclasses import dataclass
from typing import Self

import numpy as np

from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.target import Aim
from fuseau.craft.fitting.inference import Belief
from fuseau.craft.fitting.readiness import Readiness, Wish, Wished, readiness, tied_readiness
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build
from fuseau.planning.garment.lacings import final_lacing
from fuseau.planning.stages.front import closes_at


@dataclass(frozen=True)
class OddsInputs:
    """What the odds follow from; `ease_mm` is the room in a garment that is tied, None in one that is laced."""

    belief: Belief
    final: Lacing
    wish: Wish
    ease_mm: float | None

    @classmethod
    def of(cls, build: Build, belief: Belief, body: Body, aimed: Aim, pattern: Pattern) -> Self:
        """Of a pattern in the final layers and bones."""
        final, ease = final_lacing(build, pattern, aimed), None
        if final.tied_mm is not None:
            ease = build.practice.neck_ease_mm if build.target.ease_mm is None else build.target.ease_mm
        return cls(belief, final, wish_of(build, body, aimed, final), ease)


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
    return readiness(inputs.belief, inputs.final, inputs.wish)
