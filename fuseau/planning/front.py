"""The front's stage: what opens, on which line, and each way in and out."""

from dataclasses import dataclass
from typing import Self

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Finding, finding, mend
from fuseau.craft.base.practice import Practice
from fuseau.craft.closures.busk import Busk, choose_busk
from fuseau.craft.closures.choices import FrontChoices
from fuseau.craft.closures.front import Opening, plan_opening
from fuseau.craft.closures.getting_in import Passing, WayIn, passing, ways_in
from fuseau.craft.closures.lacing import LacePattern, usual_pattern
from fuseau.craft.fit.fit import Fit
from fuseau.craft.pattern.trueing import Laid
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build


@dataclass(frozen=True)
class OpeningInputs:
    """What opens follows from: the choices, and where CF and its own seam (0: CF) begin and end, heights in mm."""

    choices: FrontChoices
    cf: tuple[float, float]
    seam: int
    edge: tuple[float, float]
    practice: Practice

    @classmethod
    def of(cls, build: Build, laid: Laid, front_panels: int) -> Self:
        """Taken from the build and its pattern. Raises Unmakeable for a seam that it does not have."""
        choices, count = build.front, len(laid.panels)
        seam = 0
        if choices.opening in ("zip", "hidden zip", "hooks") and choices.line != "CF":
            seam = front_panels if choices.line == "side" else int(choices.line[0])
            if seam >= count:
                raise Unmakeable("front.line", "no_opening_seam", line=choices.line, panels=count)
        cf = laid.panels[0].cf_edge
        edge = laid.panels[seam - 1].cb_edge if seam else cf
        return cls(choices, (cf[0][1], cf[-1][1]), seam, (edge[0][1], edge[-1][1]), build.practice)


def open_front(inputs: OpeningInputs) -> tuple[Busk, Opening]:
    """The busk that fits, and what opens. Raises Unmakeable for a busk whose seam would not hold."""
    low, high = inputs.cf
    busk = choose_busk(high, low, inputs.choices, inputs.practice)
    return busk, plan_opening(inputs.choices, inputs.seam, inputs.edge, busk, inputs.practice)


def lacing_of(build: Build) -> LacePattern:
    """How the back is laced: as chosen, or as usual."""
    return build.back.pattern or usual_pattern(not GARMENT_KINDS[build.kind].tied)


@dataclass(frozen=True)
class WaysInputs:
    """What the ways in follow from. `loops`: she can draw the back closed herself."""

    final: Fit
    body: Body
    opening: Opening
    others: Passing
    practice: Practice
    loops: bool
    round_the_neck: bool

    @classmethod
    def of(cls, build: Build, final: Fit, body: Body, opening: Opening) -> Self:
        """Taken from the build."""
        kind = GARMENT_KINDS[build.kind]
        others = passing(body, build.wearer.head_mm, build.wearer.shoulders_mm, build.practice)
        loops = lacing_of(build) == "cross with pull loops" or not kind.reduces
        return cls(final, body, opening, others, build.practice, loops, kind.tied)


def find_ways_in(inputs: WaysInputs) -> tuple[WayIn, ...]:
    """Every way into the garment, the one to take first."""
    return ways_in(
        inputs.final,
        inputs.body,
        inputs.opening,
        inputs.others,
        inputs.practice,
        loops=inputs.loops,
        round_the_neck=inputs.round_the_neck,
    )


def check_alone(build: Build, way: WayIn | None) -> list[Finding]:
    """She has to get in alone, and can't."""
    if not build.brief.alone or way is None or way.alone or GARMENT_KINDS[build.kind].tied:
        return []
    loops = mend("mend.pull_loops", Change(at="back.pattern", value="cross with pull loops"))
    return [finding("not_alone", "front", "caution", at="back.pattern", where="CB", mend=loops)]
