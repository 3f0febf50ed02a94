"""What a maker does to her shelf: pieces put on it and taken off, kept for a build, used up, ordered, arrived."""

import datetime
from collections.abc import Iterable, Mapping, Sequence
from typing import Any

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit
from fuseau.craft.materials.catalogue import OwnKinds
from fuseau.craft.stock.cut_choices import CutDone
from fuseau.craft.stock.stock import Stock
from fuseau.document.shelf import ClothCutFor, Order, OrderLine, Reservation, Shelf, read_shelf


def _with(shelf: Shelf, unit: Unit = "cm", **parts: Any) -> Shelf:
    """The shelf with some of its parts, read anew, so that it still adds up."""
    data = {name: getattr(shelf, name) for name in Shelf.model_fields} | parts
    return read_shelf(data, unit)


def _piece(shelf: Shelf, stock: str) -> Stock:
    if not shelf.has(stock):
        raise Unmakeable("stock", "shelf.gone")
    return shelf.piece(stock)


def put(shelf: Shelf, given: Sequence[Mapping[str, Any]], unit: Unit) -> Shelf:
    """The shelf with more pieces on it. Raises pydantic.ValidationError with what is wrong at `pieces.<place>`."""
    numbered = [{**one, "id": f"s{shelf.numbered + 1 + i}"} for i, one in enumerate(given)]
    return _with(shelf, unit, pieces=[*shelf.pieces, *numbered], numbered=shelf.numbered + len(numbered))


def rewrite(shelf: Shelf, stock: str, given: Mapping[str, Any], unit: Unit) -> Shelf:
    """A piece written anew: what is given, the rest as it was.

    Raises Unmakeable where it is gone, pydantic.ValidationError where less is left than builds have reserved.
    """
    old = _piece(shelf, stock)
    new = {**old.model_dump(mode="json"), **given, "id": old.id}
    return _with(shelf, unit, pieces=[new if piece.id == stock else piece for piece in shelf.pieces])


def take_off(shelf: Shelf, stock: str) -> Shelf:
    """The shelf without a piece. Raises Unmakeable where it is gone, or a build has reserved of it."""
    piece = _piece(shelf, stock)
    if shelf.reserved_of(stock):
        raise Unmakeable("stock", "shelf.reserved", label=piece.label)
    return _with(shelf, pieces=[piece for piece in shelf.pieces if piece.id != stock])


def reserve(shelf: Shelf, build: str, stock: str, amount: float | None) -> Shelf:
    """So much of a piece kept for a build; None keeps all that is free, 0 lets go of it.

    Raises Unmakeable where nothing is left, pydantic.ValidationError where so much is not.
    """
    piece = _piece(shelf, stock)
    wanted = shelf.free(stock, build) if amount is None else amount
    if amount is None and wanted <= 0:
        raise Unmakeable("amount", "shelf.none_left", label=piece.label)
    others = [
        reservation for reservation in shelf.reserved if not (reservation.stock == stock and reservation.build == build)
    ]
    own = [Reservation(stock=stock, build=build, amount=wanted)] if wanted else []
    return _with(shelf, reserved=[*others, *own])


def let_go(shelf: Shelf, builds: Iterable[str]) -> Shelf:
    """Whatever builds had reserved is free again."""
    gone = set(builds)
    return _with(shelf, reserved=[reservation for reservation in shelf.reserved if reservation.build not in gone])


# --- cutting


def use_up(shelf: Shelf, build: str, cloth: str, done: CutDone) -> Shelf:
    """What a cloth was cut from is off the shelf, and its rests are on it.

    A rest with the number of what was cut is that piece, shortened: others keep what they reserved of it. Raises
    Unmakeable where a piece is no longer as it was when it was laid out, pydantic.ValidationError where others have
    reserved of what is gone.
    """
    pieces = list(shelf.pieces)
    reserved = list(shelf.reserved)
    cut_from = {used.stock.id for used in done.used}
    kept = tuple(
        reservation for reservation in reserved if reservation.build == build and reservation.stock in cut_from
    )
    for used in done.used:
        if used.stock not in pieces:
            raise Unmakeable("cut", "shelf.changed", label=used.stock.label)
        at = pieces.index(used.stock)
        same = [rest for rest in used.rests if rest.id == used.stock.id]
        new = [rest for rest in used.rests if rest.id != used.stock.id]
        if any(shelf.has(rest.id) for rest in new):
            raise Unmakeable("cut", "shelf.changed", label=used.stock.label)
        pieces[at : at + 1] = same
        pieces += new
    reserved = [reservation for reservation in reserved if reservation not in kept]
    cuts = [*shelf.cuts, ClothCutFor(build=build, cloth=cloth, done=done, kept=kept)]
    numbered = max([shelf.numbered, *(int(piece.id[1:]) for piece in pieces if piece.id[1:].isdigit())])
    return _with(shelf, pieces=pieces, reserved=reserved, cuts=cuts, numbered=numbered)


def put_back(shelf: Shelf, build: str, cloth: str) -> Shelf:
    """As if a cloth had not been cut for a build: its rests go, what was cut from lies there again, and is kept for it.

    Raises Unmakeable where a rest has been used, changed or reserved since.
    """
    cut = shelf.cut_for(build, cloth)
    if cut is None:
        return shelf
    pieces = list(shelf.pieces)
    for used in cut.done.used:
        for rest in used.rests:
            kept = rest.id == used.stock.id
            if rest not in pieces or (not kept and shelf.reserved_of(rest.id)):
                raise Unmakeable("cut", "shelf.rest_used", label=used.stock.label)
            pieces.remove(rest)
        pieces.append(used.stock)
    again = {one.stock for one in cut.kept}
    reserved = [
        reservation for reservation in shelf.reserved if reservation.build != build or reservation.stock not in again
    ]
    others = [one for one in shelf.cuts if one is not cut]
    return _with(shelf, pieces=pieces, reserved=[*reserved, *cut.kept], cuts=others)


# --- orders


def place_order(
    shelf: Shelf,
    shop: str,
    lines: Sequence[OrderLine],
    placed_on: datetime.date,
    due_on: datetime.date,
    own: bool = False,
) -> Shelf:
    """The shelf with an order under way; `own` from a shop of hers.

    Raises Unmakeable where no shop is named, or it would be here before it was ordered.
    """
    if not shop.strip():
        raise Unmakeable("shop", "shelf.which_shop")
    if due_on < placed_on:
        raise Unmakeable("due_on", "shelf.due_before")
    number = shelf.numbered + 1
    order = Order(id=f"o{number}", shop=shop.strip(), placed_on=placed_on, due_on=due_on, lines=tuple(lines), own=own)
    return _with(shelf, orders=[*shelf.orders, order], numbered=number)


def _order(shelf: Shelf, order: str) -> Order:
    found = next((one for one in shelf.orders if one.id == order), None)
    if found is None:
        raise Unmakeable("order", "shelf.no_order")
    return found


def cancel(shelf: Shelf, order: str) -> Shelf:
    """An order called off. Raises Unmakeable for one that has arrived."""
    found = _order(shelf, order)
    if not found.under_way:
        raise Unmakeable("order", "shelf.not_waiting")
    return _reordered(shelf, found.model_copy(update={"state": "cancelled"}))


def arrive(shelf: Shelf, order: str, on: datetime.date, came: Sequence[float | None] = (), where: str = "") -> Shelf:
    """What an order brought is on the shelf, kept for the build that it was ordered for where that is one alone.

    `came` tells how much of each line came, where it is not all. Raises Unmakeable for an order that is not under way,
    or where more came than was ordered.
    """
    found = _order(shelf, order)
    if not found.under_way:
        raise Unmakeable("order", "shelf.not_waiting")
    lines = []
    new: list[dict[str, Any]] = []
    kept: list[tuple[int, str]] = []
    for i, line in enumerate(found.lines):
        told = came[i] if i < len(came) else None
        amount = line.amount if told is None else told
        if not 0 <= amount <= line.amount:
            raise Unmakeable(f"came.{i}", "shelf.more_came", label=line.article.label)
        lines.append(line.model_copy(update={"came": amount}))
        for piece in _arrived(line, amount, found.shop, order, where):
            if len(line.builds) == 1:
                kept.append((len(new), line.builds[0]))
            new.append(piece)
    short = any(line.came is not None and line.came < line.amount for line in lines)
    at = {"state": "short" if short else "arrived", "arrived_on": on, "lines": tuple(lines)}
    before = shelf.numbered
    shelf = put(_reordered(shelf, found.model_copy(update=at)), new, "cm")
    for place, build in kept:
        shelf = reserve(shelf, build, f"s{before + 1 + place}", None)
    return shelf


def _arrived(line: OrderLine, amount: float, shop: str, order: str, where: str) -> list[dict[str, Any]]:
    """The pieces that a line brings: a length in one, or so many of a size."""
    article = line.article
    base: dict[str, Any] = {
        "sort": article.sort,
        "name": article.name,
        "label": article.label,
        "where": where,
        "lot": f"{shop}, {order}"[:40],
        "cost": round(line.price * amount / line.pack, 2) if line.pack else 0.0,
    }
    if amount <= 0:
        return []
    if article.measure == "piece":
        return [{**base, "count": round(amount), "length_mm": line.each_mm}]
    return [{**base, "length_mm": amount, "width_mm": line.width_mm}]


def _reordered(shelf: Shelf, order: Order) -> Shelf:
    return _with(shelf, orders=[order if one.id == order.id else one for one in shelf.orders])


# --- catalogue


def learn(shelf: Shelf, now: OwnKinds, before: OwnKinds) -> Shelf:
    """The workshop's catalogue with the bones and cloths that a build has `now` and had not, or otherwise, `before`."""
    known = shelf.catalogue
    bones = {name: bone for name, bone in now.bones.items() if before.bones.get(name) != bone}
    cloths = {name: cloth for name, cloth in now.cloths.items() if before.cloths.get(name) != cloth}
    both = {"bones": {**known.bones, **bones}, "cloths": {**known.cloths, **cloths}}
    return _with(shelf, catalogue=known.model_copy(update=both))
