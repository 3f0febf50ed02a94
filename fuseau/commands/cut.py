"""The cutting table: pieces pinned, pieces of the shelf left aside, cloths cut and not cut after all."""

import datetime
from collections.abc import Callable, Mapping, Sequence
from typing import Any

from shapely.affinity import scale, translate
from shapely.geometry import Polygon, box

from fuseau.commands.fields import change
from fuseau.commands.patterns import edit_pattern
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit
from fuseau.craft.base.practice import Practice
from fuseau.craft.layout.at_hand import Laying
from fuseau.craft.layout.nesting import LaidSheet, Pinned
from fuseau.craft.layout.scraps import at_origin, rests_of
from fuseau.craft.pattern.trueing import Point
from fuseau.craft.stock.cut_choices import CutDone, Used
from fuseau.craft.stock.stock import Stock
from fuseau.document.build import Build
from fuseau.document.shelf import Shelf
from fuseau.planning.cache import StageCache
from fuseau.planning.pipeline import plan
from fuseau.planning.stages.cut import Use, to_buy_mm, uses_of


def pin(build: Build, cloth: str, pins: Sequence[Pinned], unit: Unit) -> Build:
    """The build with pieces of a cloth that stay where she put them; none lets all be laid anew."""
    value: dict[str, Any] = {name: [one.model_dump() for one in kept] for name, kept in build.cut.pinned.items()}
    value.pop(cloth, None)
    if pins:
        value[cloth] = [pin.model_dump() for pin in pins]
    return change(build, [Change(at="cut.pinned", value=value)], unit)


def take_way(
    build: Build,
    changes: Sequence[Change],
    edits: Sequence[Mapping[str, Any]],
    today: datetime.date,
    unit: Unit,
    cache: StageCache | None = None,
) -> Build:
    """The build with a way out taken: fields set, then the pattern edited by hand.

    Raises Unmakeable or pydantic.ValidationError where it can't be so.
    """
    made = change(build, list(changes), unit) if changes else build
    return edit_pattern(made, plan(made, cache=cache), edits, today, unit) if edits else made


def cut_cloth(
    build: Build,
    cloth: str,
    laying: Laying,
    beside_mm: float,
    shelf: Shelf,
    build_id: str,
    today: datetime.date,
) -> Build:
    """The build with a cloth cut as it was laid, and what that uses up of the shelf and puts back on it.

    `beside_mm` of its length is cut beside the pieces. Raises Unmakeable for a cloth that is cut already.
    """
    if cloth in build.cut.done:
        raise Unmakeable("cut.done", "cut.is_done")
    number = shelf.numbered

    def numbered() -> str:
        nonlocal number
        number += 1
        return f"s{number}"

    laid = {sheet.sheet.key: sheet for sheet in laying.sheets}
    used = []
    for key, use in uses_of(laying, beside_mm, shelf.lengths).items():
        others = shelf.reserved_of(key) - shelf.reserved_of(key, build_id)
        least = min(others, build.practice.scrap_least_mm) if others else build.practice.scrap_least_mm
        fold = cloth in build.cut.fold and laid[key].sheet.is_length
        rests = _rests(
            stock=shelf.piece(key),
            laid=laid[key],
            use=use,
            fold=fold,
            least_mm=least,
            practice=build.practice,
            numbered=numbered,
        )
        used.append(Used(stock=shelf.piece(key), rests=rests))
    done = CutDone(
        on=today,
        version=build.current.number if build.current else None,
        pieces=sum(len(sheet.placed) for sheet in laying.sheets) + len(laying.marker.placed),
        used=tuple(used),
        frills=tuple(frill.key for frill in build.trims.hanging if frill.cloth == cloth),
        new_mm=to_buy_mm(laying, beside_mm),
    )
    cut = build.cut.model_copy(update={"done": {**build.cut.done, cloth: done}})
    return build.model_copy(update={"cut": cut})


def not_cut(build: Build, cloth: str) -> Build:
    """The build as if a cloth had not been cut. Raises Unmakeable where it was not."""
    if cloth not in build.cut.done:
        raise Unmakeable("cut.done", "cut.not_done")
    left = {name: done for name, done in build.cut.done.items() if name != cloth}
    return build.model_copy(update={"cut": build.cut.model_copy(update={"done": left})})


def _rests(
    stock: Stock,
    laid: LaidSheet,
    use: Use,
    fold: bool,
    least_mm: float,
    practice: Practice,
    numbered: Callable[[], str],
) -> tuple[Stock, ...]:
    """What goes back of a piece that is cut from: of a length the rest under its own number, and scraps.

    A rest of a length is kept from `least_mm` on.
    """
    found = []
    outline = stock.shape
    wide = max(y for _, y in outline)
    pieces = [Polygon(one.outline) for one in laid.placed]
    if fold:
        pieces = [translate(piece, 0, wide / 2) for piece in pieces]
        pieces += [scale(piece, 1, -1, origin=(0, wide / 2)) for piece in pieces]
    if stock.measure == "length":
        left = (stock.length_mm or 0.0) - use.amount
        if left >= least_mm:
            found.append(stock.model_copy(update={"length_mm": round(left, 1), "cost": _share(stock, left)}))
        outline = tuple((min(x, laid.reach_mm), y) for x, y in outline)
    elif use.beside_mm:
        pieces.append(box(laid.reach_mm, 0.0, laid.reach_mm + use.beside_mm, wide))
    cut = [[(float(x), float(y)) for x, y in piece.exterior.coords[:-1]] for piece in pieces]
    for rest in rests_of(outline, stock.flaws, cut, practice) if cut else ():
        found.append(_scrap(stock, rest, numbered()))
    return tuple(found)


def _scrap(stock: Stock, outline: tuple[Point, ...], number: str) -> Stock:
    area = Polygon(outline).area
    whole = Polygon(stock.shape).area
    return Stock(
        id=number,
        sort="cloth",
        name=stock.name,
        label=stock.label,
        outline=at_origin(outline),
        where=stock.where,
        lot=stock.lot,
        cost=round(stock.cost * area / whole, 2) if whole else 0.0,
        note="left over",
    )


def _share(stock: Stock, left_mm: float) -> float:
    return round(stock.cost * left_mm / (stock.length_mm or left_mm), 2)
