"""What the design could take instead of an article that nobody has in time (model, section 12)."""

import math
from collections.abc import Callable, Iterator, Mapping

from fuseau.craft.materials.catalogue import BUSKS, BUSKS_IN, GROMMETS, LACES, BoneKind, BoneName
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.stock import articles
from fuseau.craft.stock.articles import Article

Likeness = tuple[float, Article]  # how far off it is, the nearest first
_MOST = 3


def alternatives(
    article: Article,
    cloths: Mapping[ClothName, Cloth],
    bones: Mapping[BoneName, BoneKind],
    there: Callable[[Article], bool] = lambda _: True,
) -> tuple[Article, ...]:
    """Articles that do the same work nearly as well and are `there`, the nearest first, three at the most.

    Cloths: for the same ply, half to twice as stiff, not much weaker. Bones: no wider, and half to twice as stiff, so
    that they go into the channels that are there. Grommets: no smaller a hole for the lace, holding as much. Busks: up
    to 25 mm shorter, by the same studs or one fewer. Laces: no wider drawn together, so that they go through the holes.
    Tapes: the next two wider. Zips, hooks and thread have none: what is there fits or does not.
    """
    ways: dict[str, Callable[[], Iterator[Likeness]]] = {
        "cloth": lambda: _cloths(article, cloths),
        "bone": lambda: _bones(article, bones),
        "grommets": lambda: _grommets(article),
        "busk": lambda: _busks(article),
        "lace": lambda: _laces(article),
        "tape": lambda: _tapes(article),
    }
    found = sorted(ways.get(article.sort, lambda: iter(()))(), key=lambda one: (one[0], one[1].label))
    return tuple(one for _, one in found if there(one))[:_MOST]


def _off(value: float, wanted: float) -> float:
    return abs(math.log(value / wanted))


def _cloths(article: Article, cloths: Mapping[ClothName, Cloth]) -> Iterator[Likeness]:
    one = cloths.get(article.name)
    for other in cloths.values() if one else ():
        if one is None or other.name == one.name or other.suits[0] != one.suits[0]:
            continue
        ratio = other.stiffness_kn_per_m / one.stiffness_kn_per_m
        if 0.5 <= ratio <= 2 and other.holds_n_per_m >= 0.6 * one.holds_n_per_m:
            yield abs(math.log(ratio)), articles.cloth(other)


def _bones(article: Article, bones: Mapping[BoneName, BoneKind]) -> Iterator[Likeness]:
    one = bones.get(article.name)
    for other in bones.values() if one else ():
        if one is None or other.name == one.name or other.width_mm > one.width_mm:
            continue
        off = _off(other.flatwise_stiffness(), one.flatwise_stiffness())
        if off <= math.log(2):
            yield off, articles.bone(other)


def _grommets(article: Article) -> Iterator[Likeness]:
    one = next((kind for kind in GROMMETS.values() if kind.name == article.name), None)
    for other in GROMMETS.values() if one else ():
        if one is None or other.name == one.name or not other.bought:
            continue
        if one.hole_mm <= other.hole_mm <= one.hole_mm + 2 and other.holds_n >= 0.9 * one.holds_n:
            yield _off(other.hole_mm, one.hole_mm), articles.grommets(other)


def _busks(article: Article) -> Iterator[Likeness]:
    sizes = {(busk.length_mm, len(busk.stud_places())) for busk in (*BUSKS, *BUSKS_IN)}
    here = next((size for size in sizes if articles.busk_of(*size).name == article.name), None)
    for length, studs in sizes if here else ():
        if here and 0 < here[0] - length <= 25 and here[1] - 1 <= studs <= here[1]:
            yield here[0] - length, articles.busk_of(length, studs)


def _laces(article: Article) -> Iterator[Likeness]:
    one = next((kind for kind in LACES.values() if kind.name == article.name), None)
    for other in LACES.values() if one else ():
        if one is not None and other.name != one.name and other.through_mm <= one.through_mm:
            yield _off(other.through_mm, one.through_mm), articles.lace(other)


def _tapes(article: Article) -> Iterator[Likeness]:
    here = next((width for width in articles.TAPES_MM if articles.tape(width).name == article.name), None)
    for width in articles.TAPES_MM if here else ():
        if here and here < width <= here + 4:
            yield width - here, articles.tape(width)
