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
from fuseau.craft.fit.target import most_pull
from fuseau.craft.materials.catalogue import BUSKS, BUSKS_IN, BuskStock
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from fuseau.planning.garment.halves import Halves, where_they_meet

_FAR_OVER = 4.0  # times what a hand manages: further a number says nothing more
MOVABLE = ("zip", "hidden zip", "hooks")  # what can lie on any line

_YES = 0.5


@dataclass(frozen=True)
class OpeningInputs:
    """What opens follows from: the choices, and where CF and its own seam begin and end, heights in mm.

    Seam 0 is CF; CB has the number of the last panel. `cf_tops`: where CF ends on the right half and on the left.
    """

    choices: FrontChoices
    cf: tuple[float, float]
    cf_tops: tuple[float, float]
    seam: int
    edge: tuple[float, float]
    sold: tuple[BuskStock, ...]
    practice: Practice

    @classmethod
    def of(cls, build: Build, halves: Halves, front_panels: int) -> Self:
        """Taken from the build and its pattern. Raises Unmakeable for a seam that it does not have."""
        laid = halves.right
        choices, count = build.front, len(laid.panels)
        seam = 0
        if choices.opening in MOVABLE and choices.line == "CB":
            if build.back.laced:
                raise Unmakeable("front.line", "opening_behind_lacing")
            seam = count
        elif choices.opening in MOVABLE and choices.line != "CF":
            seam = front_panels if choices.line == "side" else int(choices.line[0])
            if seam >= count:
                raise Unmakeable("front.line", "no_opening_seam", line=choices.line, panels=count)
        edges = [laid.panels[seam - 1].cb_edge if seam else laid.panels[0].cf_edge for laid in halves.both]
        if 0 < seam < count and choices.half != "both":
            edges = [edges[1] if choices.half == "left" else edges[0]]
        fronts = [laid.panels[0].cf_edge for laid in halves.both]
        tops = fronts[0][-1][1], fronts[1][-1][1]
        sold = BUSKS_IN if build.practice.busks_in_half_inches >= _YES else BUSKS
        return cls(
            choices=choices,
            cf=where_they_meet(fronts),
            cf_tops=tops,
            seam=seam,
            edge=where_they_meet(edges),
            sold=sold,
            practice=build.practice,
        )


def open_front(inputs: OpeningInputs) -> tuple[Busk, Opening]:
    """The busk that fits, and what opens. Raises Unmakeable for a busk whose seam would not hold."""
    low, high = inputs.cf
    busk = choose_busk(high, low, inputs.choices, inputs.practice, tops_mm=inputs.cf_tops, sold=inputs.sold)
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
    laced: bool

    @classmethod
    def of(cls, build: Build, final: Fit, body: Body, opening: Opening) -> Self:
        """Taken from the build."""
        kind = GARMENT_KINDS[build.kind]
        others = passing(body, build.wearer.head_mm, build.wearer.shoulders_mm, build.practice)
        loops = lacing_of(build) == "cross with pull loops" or not kind.reduces
        return cls(
            final=final,
            body=body,
            opening=opening,
            others=others,
            practice=build.practice,
            loops=loops,
            round_the_neck=kind.tied,
            laced=build.back.laced,
        )


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
        laced=inputs.laced,
    )


def closes_at(build: Build) -> float:
    """The hardest pull, N per m, that what closes the garment without a lace behind is closed against by hand."""
    practice, kind = build.practice, build.front.opening
    if kind == "lacing":
        return most_pull(build.target.job, practice)
    return practice.hooks_close_n_per_m if kind == "hooks" else practice.zip_closes_n_per_m


def check_closing(build: Build, final: Fit) -> list[Finding]:
    """What closes a garment that is not laced behind, pulled harder than a hand closes it."""
    most, hardest = closes_at(build), max(final.pull_at)
    if build.back.laced or build.front.opening == "none" or GARMENT_KINDS[build.kind].tied or hardest <= most:
        return []
    return [
        finding(
            "hard_to_close",
            "front",
            "caution",
            at="front.opening",
            where="CB" if build.front.line == "CB" else "CF",
            numbers={"pull_n_per_m": hardest, "most_n_per_m": most},
            mend=mend("mend.laced_behind", Change(at="front.line", value="CF"), Change(at="back.laced", value=True)),
            said="hard_to_close" if hardest < _FAR_OVER * most else "hard_to_close.never",
            opening=build.front.opening,
        )
    ]


def check_ways(build: Build, ways: tuple[WayIn, ...]) -> list[Finding]:
    """There is no way in, or she has to get in alone and can't."""
    way = ways[0] if ways else None
    if not build.back.laced and all(way.verdict == "no" for way in ways):
        changes = Change(at="front.opening", value="zip"), Change(at="front.line", value="CB")
        return [
            finding(
                "no_way_in", "front", "caution", at="front.opening", where="CF", mend=mend("mend.zip_behind", *changes)
            )
        ]
    if not build.brief.alone or way is None or way.alone or GARMENT_KINDS[build.kind].tied:
        return []
    if not build.back.laced:
        return [finding("not_alone", "front", "caution", at="front.line", where=way.way, said="not_alone.shut")]
    loops = mend("mend.pull_loops", Change(at="back.pattern", value="cross with pull loops"))
    return [finding("not_alone", "front", "caution", at="back.pattern", where="CB", mend=loops)]
