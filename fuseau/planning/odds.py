"""The odds that the real garment fits if it were cut now: one reckoning, for the verdict, the stage and the story."""

from dataclasses import dataclass
from typing import Self

from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.target import Aim
from fuseau.craft.fitting.inference import Belief
from fuseau.craft.fitting.readiness import Readiness, Wished, readiness, tied_readiness
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build
from fuseau.planning.lacings import final_lacing


@dataclass(frozen=True)
class OddsInputs:
    """What the odds follow from; `ease_mm` is the room in a garment that is tied, None in one that is laced."""

    belief: Belief
    final: Lacing
    gap_mm: Wished
    ease_mm: float | None

    @classmethod
    def of(cls, build: Build, belief: Belief, body: Body, aimed: Aim, pattern: Pattern) -> Self:
        """Of a pattern in the final layers and bones.

        What she decided stands: where she changed it by hand, or asked for more than a pull brings, what she was told
        that it comes to is what it is held against.
        """
        final, ease = final_lacing(build, pattern, aimed), None
        gap: Wished = build.target.gap_mm
        if final.tied_mm is not None:
            ease = build.practice.neck_ease_mm if build.target.ease_mm is None else build.target.ease_mm
        elif pattern.decided or not aimed.reaches:
            gap = fit(final, body).gap_mm
        return cls(belief, final, gap, ease)


def work_out_odds(inputs: OddsInputs) -> Readiness:
    """The odds from seeded draws of the belief."""
    if inputs.ease_mm is not None:
        assert isinstance(inputs.gap_mm, float)
        return tied_readiness(inputs.belief, inputs.final, inputs.gap_mm, inputs.ease_mm)
    return readiness(inputs.belief, inputs.final, inputs.gap_mm)
