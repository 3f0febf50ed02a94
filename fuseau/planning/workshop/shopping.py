"""The shopping list over all builds: what is needed, what the shelf and orders give, what to buy where and by when.

(model, sections 11 and 12)
"""

import datetime
import math
from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass, field
from typing import Any

from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.materials.catalogue import BONES, BoneKind, BoneName
from fuseau.craft.materials.cloths import CLOTHS, Cloth, ClothName
from fuseau.craft.stock.articles import Article
from fuseau.craft.stock.stock import Stock
from fuseau.document.shelf import Shelf
from fuseau.planning.told.needs import Need
from fuseau.planning.workshop.alternatives import alternatives

_HARDLY = 0.5  # mm, or half a piece
_ROUNDING_MM = 10.0  # what a need is rounded up by


class Offer(Record):
    """What a shop has of an article: how much is in a pack (mm or pieces), its price, and how many days it takes.

    `each_mm`: pieces of that length; `width_mm`: cloth as wide as this between its selvedges. What is `off_the_roll` is
    cut to any number of packs in one length; other packs hold one length each.
    """

    shop: str
    article: Article
    pack: float
    price: float
    each_mm: float | None = None
    width_mm: float | None = None
    off_the_roll: bool = False
    in_stock: bool = True
    days: float
    days_spread: float

    @property
    def surely_days(self) -> int:
        """In how many days it is here nine times out of ten."""
        return math.ceil(self.days + 1.28 * self.days_spread)


class Taken(Record):
    """So much of a piece of the shelf that a build uses, and whether it is reserved for it."""

    stock: str
    label: str
    where: str
    amount: float
    reserved: bool


class Want(Record):
    """What one build needs of an article: in all, from the shelf, from orders under way, and what is to be bought.

    `buy_mm`: the lengths to be bought that each have to be in one.
    """

    build: str
    need: Need
    taken: tuple[Taken, ...]
    coming: float
    buy: float
    buy_mm: tuple[float, ...] = ()


class Purchase(Record):
    """Where something can be bought: in how many packs, at what price, and when it would surely be here."""

    offer: Offer
    packs: int
    price: float
    here_on: datetime.date
    in_time: bool


class ToBuy(Record):
    """One line of the list: an article for one or several builds, the day it has to be ordered by, and where.

    `chosen` is the place among the `choices`: the cheapest that is in time, else the quickest. `instead` is what
    could take its place, where nobody has it in time. `before`: builds that are needed first and get what of it
    lies free on the shelf.
    """

    article: Article
    each_mm: float | None
    width_mm: float | None
    amount: float
    spares: float
    builds: tuple[str, ...]
    needed_on: datetime.date | None
    order_by: datetime.date | None
    choices: tuple[Purchase, ...]
    chosen: int | None
    instead: tuple[str, ...] = ()
    before: tuple[str, ...] = ()


class Shopping(Record):
    """What is to be bought, over all builds, and what each build wants."""

    lines: tuple[ToBuy, ...]
    wants: tuple[Want, ...]
    price: float


@dataclass
class Pool:
    """What is free on the shelf and what is coming, as it is given to one build after the other."""

    shelf: Shelf
    _left: dict[str, float] = field(default_factory=dict)
    _own: dict[tuple[str, str], float] = field(default_factory=dict)
    _coming: dict[tuple[str, int], float] = field(default_factory=dict)

    def __post_init__(self) -> None:
        for piece in self.shelf.pieces:
            self._left[piece.id] = self.shelf.free(piece.id)
        for reservation in self.shelf.reserved:
            self._own[reservation.stock, reservation.build] = reservation.amount
        for order in self.shelf.under_way():
            for i, line in enumerate(order.lines):
                self._coming[order.id, i] = line.amount

    def at_hand(self, build: str) -> list[tuple[Stock, float]]:
        """What a build may take: its own first, then what is free."""
        found = []
        for piece in self.shelf.pieces:
            amount = self._left[piece.id] + self._own.get((piece.id, build), 0.0)
            if amount >= _HARDLY:
                found.append((piece, amount))
        return sorted(found, key=lambda one: (one[0].id, build) not in self._own)

    def take(self, build: str, stock: str, amount: float) -> Taken:
        """Give so much of a piece to a build: from what it has reserved, then from what is free."""
        own = min(amount, self._own.get((stock, build), 0.0))
        if own:
            self._own[stock, build] -= own
        self._left[stock] = max(0.0, self._left[stock] - (amount - own))
        piece = self.shelf.piece(stock)
        return Taken(stock=stock, label=piece.label, where=piece.where, amount=amount, reserved=own >= amount - _HARDLY)

    def give_coming(self, build: str, need: Need, amount: float) -> float:
        """How much of what is still needed is on its way: ordered for this build, or for nobody in particular."""
        given = 0.0
        for order in self.shelf.under_way():
            for i, line in enumerate(order.lines):
                same = (line.article.sort, line.article.name) == (need.article.sort, need.article.name)
                if not same or (line.builds and build not in line.builds) or line.each_mm != need.each_mm:
                    continue
                part = min(amount - given, self._coming[order.id, i])
                self._coming[order.id, i] -= part
                given += part
        return given


def want(build: str, need: Need, pool: Pool, also: Sequence[Taken] = ()) -> Want:
    """What a build takes of the shelf for a need, what is coming, and what is left to buy.

    `also` is what has been taken for it already: cloth and bones are laid and cut before they are counted.
    """
    taken = list(also)
    missing, lengths = need.amount, need.whole_mm
    if need.article.sort in ("cloth", "bone"):
        lengths = (need.amount,) if need.in_one and need.amount else ()
    elif lengths:
        used, lengths = _cut_from(
            [(piece, amount) for piece, amount in pool.at_hand(build) if _is(piece, need.article)], lengths
        )
        taken += [pool.take(build, stock, amount) for stock, amount in used.items()]
        missing = min(missing, sum(lengths) + _ROUNDING_MM) if lengths else 0.0
    else:
        for piece, amount in pool.at_hand(build):
            if _is(piece, need.article) and missing >= _HARDLY:
                part = min(amount, missing)
                taken.append(pool.take(build, piece.id, part))
                missing -= part
    missing = 0.0 if need.hers else missing
    coming = pool.give_coming(build, need, missing) if missing >= _HARDLY else 0.0
    buy = max(0.0, missing - coming)
    return Want(
        build=build, need=need, taken=tuple(taken), coming=coming, buy=buy, buy_mm=lengths if buy >= _HARDLY else ()
    )


def _is(piece: Stock, article: Article) -> bool:
    return (piece.sort, piece.name) == (article.sort, article.name)


@dataclass
class _Unit:
    """One piece on the shelf, and what is left of it."""

    stock: str
    left_mm: float


def _cut_from(
    at_hand: Sequence[tuple[Stock, float]], lengths_mm: Sequence[float]
) -> tuple[dict[str, float], tuple[float, ...]]:
    """Lengths cut from pieces at hand, the longest first, each from the shortest that takes it: mm by stock; the rest.

    Of several pieces of one length as many are whole as what is free of them makes.
    """
    units: list[_Unit] = []
    for piece, free in at_hand:
        each = piece.length_mm or free
        whole = int((free + _HARDLY) // each)
        units += [_Unit(piece.id, each) for _ in range(min(whole, len(lengths_mm)))]
        if free - whole * each >= _HARDLY:
            units.append(_Unit(piece.id, free - whole * each))
    used: dict[str, float] = {}
    left = []
    for length in lengths_mm:
        takes = [unit for unit in units if unit.left_mm >= length - _HARDLY]
        if not takes:
            left.append(length)
            continue
        unit = min(takes, key=lambda unit: unit.left_mm)
        part = min(length, unit.left_mm)
        unit.left_mm -= part
        used[unit.stock] = used.get(unit.stock, 0.0) + part
    return used, tuple(left)


def shopping(
    wants: Sequence[Want],
    ready_on: Mapping[str, datetime.date | None],
    offers: Iterable[Offer],
    today: datetime.date,
    cloths: Mapping[ClothName, Cloth] = CLOTHS,
    bones: Mapping[BoneName, BoneKind] = BONES,
) -> Shopping:
    """What is to be bought for all builds together, each article once, with where and by when.

    `ready_on` is the day by which everything for a build has to be here.
    """
    by_article: dict[tuple[str, str, float | None], list[Want]] = {}
    for want in wants:
        if want.buy >= _HARDLY:
            by_article.setdefault((want.need.article.sort, want.need.article.name, want.need.each_mm), []).append(want)
    known: dict[tuple[str, str, float | None], list[Offer]] = {}
    offered = tuple(offers)
    for offer in offered:
        known.setdefault((offer.article.sort, offer.article.name, offer.each_mm), []).append(offer)
    lines = []
    for key, asked in by_article.items():
        days = [day for one in asked if (day := ready_on.get(one.build)) is not None]
        needed = min(days, default=None)
        line = _to_buy(asked, needed, known.get(key, []), today)
        also: dict[str, Any] = {"before": _served_first(wants, line)}
        if line.chosen is None or not line.choices[line.chosen].in_time:
            there = _in_time(offered, needed, today)
            also["instead"] = tuple(
                alternative.label for alternative in alternatives(line.article, cloths, bones, there)
            )
        lines.append(line.model_copy(update=also))
    lines.sort(key=lambda line: (line.order_by is None, line.order_by or today, line.article.sort, line.article.label))
    price = sum(line.choices[line.chosen].price for line in lines if line.chosen is not None)
    return Shopping(lines=tuple(lines), wants=tuple(wants), price=price)


def _to_buy(
    asked: Sequence[Want],
    ready_on: datetime.date | None,
    known: Sequence[Offer],
    today: datetime.date,
) -> ToBuy:
    first = asked[0].need
    amount = sum(one.buy for one in asked)
    choices = []
    for offer in known:
        if not offer.in_stock:
            continue
        packs = _packs(offer, asked)
        if packs is None:
            continue
        here_on = _here_on(offer, today)
        choices.append(
            Purchase(
                offer=offer,
                packs=packs,
                price=round(packs * offer.price, 2),
                here_on=here_on,
                in_time=ready_on is None or here_on <= ready_on,
            )
        )
    choices.sort(
        key=lambda choice: (not choice.in_time, choice.price if choice.in_time else choice.here_on.toordinal())
    )
    choices = list({choice.offer.shop: choice for choice in reversed(choices)}.values())[::-1]  # the best of each shop
    quickest = [choice for choice in choices if choice.in_time] or choices
    order_by = None
    if ready_on is not None and quickest:
        order_by = ready_on - datetime.timedelta(days=quickest[0].offer.surely_days)
    return ToBuy(
        article=first.article,
        each_mm=first.each_mm,
        width_mm=first.width_mm,
        amount=amount,
        spares=sum(one.need.spares for one in asked),
        builds=tuple(dict.fromkeys(one.build for one in asked)),
        needed_on=ready_on,
        order_by=order_by,
        choices=tuple(choices),
        chosen=0 if choices else None,
    )


def _packs(offer: Offer, asked: Sequence[Want]) -> int | None:
    """How many packs of an offer it takes; None where a length that has to be in one is longer than what it holds.

    Off the roll each build's is cut in one. Lengths go into packs the longest first, each into the first with room.
    """
    lengths = sorted((length for one in asked for length in one.buy_mm), reverse=True)
    if not lengths:
        return math.ceil(sum(one.buy for one in asked) / offer.pack - 1e-6)
    if offer.off_the_roll:
        return sum(math.ceil(one.buy / offer.pack - 1e-6) for one in asked)
    if lengths[0] > offer.pack + _HARDLY:
        return None
    room: list[float] = []
    for length in lengths:
        at = next((i for i, left in enumerate(room) if left >= length - _HARDLY), None)
        if at is None:
            room.append(offer.pack - length)
        else:
            room[at] -= length
    return len(room)


def _here_on(offer: Offer, today: datetime.date) -> datetime.date:
    return today + datetime.timedelta(days=offer.surely_days)


def _in_time(offered: Sequence[Offer], needed: datetime.date | None, today: datetime.date) -> Callable[[Article], bool]:
    """Whether some shop has an article by a day."""
    there = {
        (one.article.sort, one.article.name)
        for one in offered
        if one.in_stock and (needed is None or _here_on(one, today) <= needed)
    }
    return lambda article: (article.sort, article.name) in there


def _served_first(wants: Sequence[Want], line: ToBuy) -> tuple[str, ...]:
    """The builds that take free pieces of what others have to buy."""
    same = (
        want for want in wants if want.need.article == line.article and any(not piece.reserved for piece in want.taken)
    )
    return tuple(dict.fromkeys(one.build for one in same if one.build not in line.builds))


def ready_by(needed_on: datetime.date | None, practice: Practice) -> datetime.date | None:
    """The day by which everything has to be here, so many days before it is needed."""
    return None if needed_on is None else needed_on - datetime.timedelta(days=round(practice.sewing_days))
