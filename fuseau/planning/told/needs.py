"""What a build needs that is bought by the piece or by its length, from its plan (model, section 11: counts)."""

import math
from collections import Counter
from collections.abc import Iterator, Mapping, Sequence
from typing import Literal

from pydantic import Field

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.findings import Stage
from fuseau.craft.base.record import Record
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.craft.materials.catalogue import GROMMETS, LACES
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.stock import articles
from fuseau.craft.stock.articles import Article
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.stages.cut import strips_of
from fuseau.planning.trims.work import trim_articles

_ROUND_MM = 10.0


class Need(Record):
    """So much of an article: mm, or pieces; `spares` of them, and `in_one` where it has to be one length.

    `lengths_mm`: of what is cut off, lengths that each have to be in one. `each_mm`: pieces of that length;
    `width_mm`: cloth as wide as this. What is `hers` lies with her, on the shelf or not, and is never bought.
    """

    article: Article
    stage: Stage
    amount: float = Field(ge=0)
    spares: float = 0.0
    in_one: bool = False
    lengths_mm: tuple[float, ...] = ()
    each_mm: float | None = None
    width_mm: float | None = None
    hers: bool = False

    @property
    def whole_mm(self) -> tuple[float, ...]:
        """The lengths that have to be in one, the longest first; none where it may be pieced."""
        return tuple(sorted(self.lengths_mm or ((self.amount,) if self.in_one else ()), reverse=True))


def needs_of(
    build: Build, planned: Plan, cloths_mm: Mapping[ClothName, float], bones: Sequence[CuttingPlan]
) -> tuple[Need, ...]:
    """Everything that is bought for a build, in the order of the stages. Empty while nothing is drafted.

    `cloths_mm` is how much of each cloth is to be bought, and `bones` how they are cut: both already less what is taken
    from the shelf.
    """
    if planned.pattern is None:
        return ()
    return (
        *_bones(build, bones),
        *_front(build, planned),
        *_back(build, planned),
        *_tapes(build, planned),
        *_cloths(build, cloths_mm),
        *_thread(build, planned),
        *(
            Need(article=article, stage="trims", amount=_rounded(amount) if article.measure == "length" else amount)
            for article, amount in trim_articles(build, planned)
        ),
    )


def _bones(build: Build, plans: Sequence[CuttingPlan]) -> Iterator[Need]:
    for plan in plans:
        kind = build.bone_kinds[plan.kind]
        article = articles.bone(kind)
        if plan.coil_mm:
            yield Need(article=article, stage="bones", amount=plan.coil_mm)
        for length, count in plan.bought_mm.items():
            yield Need(article=article, stage="bones", amount=count, each_mm=float(length))
        for long_mm, count in Counter(bone.length_mm for bone in plan.unmet).items():  # nobody sells them so long
            yield Need(article=article, stage="bones", amount=count, each_mm=long_mm)
        if plan.ends and kind.stuff.ends in articles.CLOSED and build.bones.ends == "tips":
            yield Need(article=articles.bone_ends(kind), stage="bones", amount=plan.ends)


def _front(build: Build, planned: Plan) -> Iterator[Need]:
    opening = planned.opening
    if opening is None or opening.kind == "none":
        return
    if opening.kind == "busk" and planned.busk is not None and planned.busk.length_mm is not None:
        article = articles.busk_of(planned.busk.length_mm, len(planned.busk.studs_mm))
        yield Need(article=article, stage="front", amount=1, hers=build.front.busk is not None)
    times = 2 if any(purchase.code == "bought.twice" for purchase in opening.bought) else 1  # both halves open
    for bought in opening.bought:
        if bought.code in ("bought.zip", "bought.hidden_zip"):
            how: Literal["separating", "hidden"] = "separating" if bought.code == "bought.zip" else "hidden"
            article = articles.zip_of(how, float(bought.given["length_mm"]))
            yield Need(article=article, stage="front", amount=times, hers=build.front.zip_mm is not None)
        elif bought.code == "bought.hooks":
            yield Need(article=articles.HOOKS, stage="front", amount=times * float(bought.given["count"]))


def _back(build: Build, planned: Plan) -> Iterator[Need]:
    holes = planned.holes
    if holes is not None and GROMMETS[build.back.holes].bought:
        article = articles.grommets(GROMMETS[build.back.holes])
        yield Need(article=article, stage="back", amount=holes.count + holes.spares, spares=holes.spares)
    kind = articles.lace(LACES[build.back.lace])
    for lace in (planned.lace, planned.front_lace):
        if lace is not None:
            yield Need(article=kind, stage="back", amount=_rounded(lace.cut_mm), in_one=True)


def _tapes(build: Build, planned: Plan) -> Iterator[Need]:
    by_width: dict[float, list[float]] = {}
    for strip in strips_of(build, planned):
        if strip.cloth is None:
            by_width.setdefault(articles.tape_width(strip.width_mm), []).extend(strip.lengths_mm)
    for width, lengths in sorted(by_width.items()):
        yield Need(
            article=articles.tape(width), stage="cut", amount=_rounded(sum(lengths)), lengths_mm=tuple(sorted(lengths))
        )


def _cloths(build: Build, cloths_mm: Mapping[ClothName, float]) -> Iterator[Need]:
    for name, length in cloths_mm.items():
        cloth = build.cloths[name]
        article, wide = articles.cloth(cloth), cloth.usable_mm
        yield Need(article=article, stage="cut", amount=_rounded(length), width_mm=wide, in_one=True)


def _thread(build: Build, planned: Plan) -> Iterator[Need]:
    """Thread for every seam, channel and edge: so much to a length of stitching, in whole reels."""
    if planned.pattern is None:
        return
    halves = planned.pattern.panels, planned.pattern.left_panels or planned.pattern.panels
    edges = sum(
        length_of(panel.cf_edge) + 2 * length_of(panel.top) + 2 * length_of(panel.hem)
        for half in halves
        for panel in half
    )
    plies = max(1, len(build.layers.plies) - 1)
    channels = sum(3 * bone.path_mm for bone in planned.bones) * 2
    stitched = edges * plies + channels
    reels = math.ceil(stitched * build.practice.thread_per_seam / articles.REEL_MM)
    yield Need(article=articles.THREAD, stage="cut", amount=max(1, reels))


def _rounded(length_mm: float) -> float:
    return math.ceil(length_mm / _ROUND_MM - 1e-9) * _ROUND_MM
