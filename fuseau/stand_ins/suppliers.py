"""Invented shops, in the place of real ones: what they have, in which packs, at what price, and how long they take.

Everything follows from the catalogue and from the names, so that it is the same on every machine. Now and then
something is out of stock; a delivery comes some days early or late, or a piece short.
"""

import datetime
import math
import zlib
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass

from fuseau.craft.materials.catalogue import BONES, BoneKind, BoneName
from fuseau.craft.materials.cloths import CLOTHS, Cloth, ClothName
from fuseau.craft.stock.articles import Article, Sort, known_articles
from fuseau.craft.stock.prices import PRICE_EACH, rough_price
from fuseau.planning.workshop.shopping import Offer


@dataclass(frozen=True)
class _Shop:
    """A shop: what it deals in, how dear it is, how many days it takes and by how many it is off."""

    name: str
    sorts: tuple[Sort, ...]
    dear: float
    days: float
    spread: float
    out_of_stock: float


SHOPS = (
    _Shop(
        name="Weir Street Cloth",
        sorts=("cloth", "tape", "thread", "hooks", "zip"),
        dear=1.0,
        days=4,
        spread=1.5,
        out_of_stock=0.05,
    ),
    _Shop(
        name="Hammer & Shank",
        sorts=("bone", "busk", "grommets", "ends", "lace", "tape", "hooks"),
        dear=1.0,
        days=6,
        spread=2.0,
        out_of_stock=0.06,
    ),
    _Shop(
        name="Everything by Parcel",
        sorts=("cloth", "bone", "busk", "zip", "grommets", "lace", "tape", "hooks", "ends", "thread"),
        dear=0.8,
        days=15,
        spread=5.0,
        out_of_stock=0.12,
    ),
)
_PACKS: Mapping[Sort, tuple[float, ...]] = {
    "grommets": (40, 100),
    "hooks": (24,),
    "ends": (20, 100),
    "lace": (5000, 10_000),
}
_METRE = 1000.0


def offers(cloths: Mapping[ClothName, Cloth] = CLOTHS, bones: Mapping[BoneName, BoneKind] = BONES) -> Iterator[Offer]:
    """Everything that the invented shops have, or would have."""
    for article in known_articles(CLOTHS, BONES):
        for shop in SHOPS:
            if article.sort in shop.sorts:
                yield from _offered(shop, article, cloths, bones)


def _offered(
    shop: _Shop, article: Article, cloths: Mapping[ClothName, Cloth], bones: Mapping[BoneName, BoneKind]
) -> Iterator[Offer]:
    for pack, price, each, width in _packs(article, cloths, bones):
        gone = _share(shop.name, article.sort, article.name, f"{each or ''}") < shop.out_of_stock
        yield Offer(
            shop=shop.name,
            article=article,
            pack=pack,
            price=round(price * shop.dear * (0.9 + 0.2 * _share(shop.name, article.name)), 2),
            each_mm=each,
            width_mm=width,
            off_the_roll=article.sort == "cloth" or pack == _METRE,
            in_stock=not gone,
            days=shop.days,
            days_spread=shop.spread,
        )


def _packs(
    article: Article, cloths: Mapping[ClothName, Cloth], bones: Mapping[BoneName, BoneKind]
) -> Iterator[tuple[float, float, float | None, float | None]]:
    """What is in a pack, its price, and the length or width of what is in it."""
    if article.sort == "cloth":
        cloth = cloths[article.name]
        yield _METRE / 2, cloth.price_per_m / 2, None, cloth.usable_mm
    elif article.sort == "bone":
        kind = bones[article.name]
        if kind.sold == "coil":
            yield _METRE, kind.price_per_m, None, None
        for length in kind.lengths_mm:
            yield 1, kind.price_each + kind.price_per_m * length / _METRE, length, None
    elif article.sort == "tape":
        for pack in (_METRE, 10 * _METRE):
            yield pack, rough_price(article, pack) * (0.85 if pack > _METRE else 1), None, None
    elif article.sort in _PACKS:
        for pack in _PACKS[article.sort]:
            yield pack, rough_price(article, pack), None, None
    elif article.sort in PRICE_EACH:
        yield 1, rough_price(article, 1), None, None


def _share(*names: str) -> float:
    """A share from 0 to 1 that follows from names, the same everywhere."""
    return zlib.crc32("|".join(names).encode()) / 2**32


def arrival(order: str, offer_days: Sequence[tuple[float, float]], placed_on: datetime.date) -> datetime.date:
    """The day on which an order comes: as its slowest line, some days early or late by its number."""
    days, spread = max(offer_days, default=(5.0, 1.0))
    lean = 2 * _share("when", order) - 1
    return placed_on + datetime.timedelta(days=max(1, math.ceil(days + spread * lean)))


def sent_on(order: str, placed_on: datetime.date) -> datetime.date:
    """The day on which a shop sends an order."""
    return placed_on + datetime.timedelta(days=1 + round(_share("sent", order)))


def comes_short(order: str, line: int, packs: int) -> int:
    """How many packs of a line are missing when it comes: now and then one."""
    return 1 if packs > 1 and _share("short", order, str(line)) < 0.08 else 0
