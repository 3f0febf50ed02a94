"""The shelf of the workshop: what lies on it, what builds have reserved of it, and orders under way (model, 12).

One document, as a build is one: every change makes a new state of it, and an earlier one can be had back.
"""

from collections import defaultdict
from collections.abc import Iterator, Mapping
from functools import cached_property
from typing import Annotated, Any, Literal

from pydantic import Field, ValidationError, model_validator

from fuseau.craft.base.lengths import Length, Unit
from fuseau.craft.base.record import Amount, Day, Record, Text, at_field
from fuseau.craft.materials.catalogue import BONES, OwnKinds
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.stock.articles import Article
from fuseau.craft.stock.cut_choices import CutDone
from fuseau.craft.stock.stock import Stock, StockId

BuildId = Annotated[str, Field(pattern=r"^[A-Za-z0-9_-]{1,32}$", description="A build of the workshop.")]
OrderState = Literal["placed", "arrived", "short", "cancelled"]
_SLACK = 0.5  # mm, or half a piece: no number that she types differs by less


class Reservation(Record):
    """So much of what lies on the shelf is kept for a build: mm of what is taken by length, else pieces."""

    stock: StockId
    build: BuildId
    amount: Annotated[float, Amount("how much is reserved", 0.5, 1_000_000)]


class OrderLine(Record):
    """Packs of an article: how much is in one (mm, or pieces), what it costs, for which builds, and what came.

    `each_mm` is how long a piece is of what is sold in pieces of a length; `width_mm` how wide a cloth is.
    """

    article: Article
    packs: Annotated[int, Amount("how many packs", 1, 1000, whole=True)]
    pack: Annotated[float, Amount("what a pack holds", 0.5, 1_000_000)]
    each_mm: Annotated[float, Length("the length of a piece", 5, 20_000)] | None = None
    width_mm: Annotated[float, Length("the width of a cloth", 3, 4000)] | None = None
    price: Annotated[float, Amount("a price", 0, 20_000)] = 0.0
    builds: tuple[BuildId, ...] = Field(default=(), max_length=60)
    came: float | None = Field(default=None, ge=0, le=1_000_000)

    @property
    def amount(self) -> float:
        """How much is ordered: mm, or pieces."""
        return self.packs * self.pack


class Order(Record):
    """An order from a shop: when it was placed, when it should be here, what is in it, how it stands.

    `own`: from a shop of hers. The day it comes is as she was told, and what is in the parcel she tells herself.
    """

    id: StockId
    shop: Annotated[str, Text(80, least=1)]
    placed_on: Day
    due_on: Day
    lines: tuple[OrderLine, ...] = Field(min_length=1, max_length=80)
    state: OrderState = "placed"
    arrived_on: Day | None = None
    own: bool = False

    @property
    def under_way(self) -> bool:
        """Whether something of it is still to come."""
        return self.state == "placed"

    @property
    def price(self) -> float:
        """What it costs."""
        return sum(line.packs * line.price for line in self.lines)


class ClothCutFor(Record):
    """A cloth (or all bones) that was cut for a build, so that what was used up can be put back, and kept for it."""

    build: BuildId
    cloth: ClothName
    done: CutDone
    kept: tuple[Reservation, ...] = Field(default=(), max_length=60)


class Shelf(Record):
    """Everything on the workshop's shelf, and its catalogue of bones and cloths of her own."""

    format: Literal["fuseau.shelf"] = "fuseau.shelf"
    version: Literal[1] = 1
    pieces: tuple[Stock, ...] = Field(default=(), max_length=2000)
    reserved: tuple[Reservation, ...] = Field(default=(), max_length=4000)
    orders: tuple[Order, ...] = Field(default=(), max_length=500)
    cuts: tuple[ClothCutFor, ...] = Field(default=(), max_length=2000)
    catalogue: OwnKinds = OwnKinds()
    numbered: int = Field(default=0, ge=0, description="The last number that was given to a piece or an order.")

    @model_validator(mode="after")
    def _adds_up(self) -> "Shelf":
        amounts = {piece.id: piece.amount for piece in self.pieces}
        if len(amounts) != len(self.pieces):
            raise at_field("pieces", "shelf.numbered")
        taken: dict[str, float] = defaultdict(float)
        seen: set[tuple[str, str]] = set()
        for i, reservation in enumerate(self.reserved):
            if reservation.stock not in amounts:
                raise at_field(f"reserved.{i}.stock", "reserved.gone")
            if (reservation.stock, reservation.build) in seen:
                raise at_field(f"reserved.{i}.stock", "reserved.twice")
            seen.add((reservation.stock, reservation.build))
            taken[reservation.stock] += reservation.amount
            if taken[reservation.stock] > amounts[reservation.stock] + _SLACK:
                piece = self.piece(reservation.stock)
                code = "shelf.taken.length" if piece.measure == "length" else "shelf.taken"
                raise at_field(f"reserved.{i}.amount", code, label=piece.label, amount=piece.amount)
        return self

    @cached_property
    def _by_id(self) -> Mapping[str, Stock]:
        return {piece.id: piece for piece in self.pieces}

    @property
    def lengths(self) -> frozenset[str]:
        """The numbers of what is taken by its length."""
        return frozenset(piece.id for piece in self.pieces if piece.measure == "length")

    def piece(self, stock: str) -> Stock:
        """What lies under a number. Raises KeyError."""
        return self._by_id[stock]

    def has(self, stock: str) -> bool:
        """Whether something lies under a number."""
        return stock in self._by_id

    def reserved_of(self, stock: str, build: str | None = None) -> float:
        """How much of a piece is reserved, by one build or by all."""
        return sum(
            reservation.amount
            for reservation in self.reserved
            if reservation.stock == stock and build in (None, reservation.build)
        )

    def free(self, stock: str, build: str | None = None) -> float:
        """How much of a piece a build may take: what nobody reserved, and what it reserved itself."""
        own = self.reserved_of(stock, build) if build else 0.0
        return self.piece(stock).amount - self.reserved_of(stock) + own

    def for_build(self, build: str | None) -> "Iterator[tuple[Stock, float]]":
        """What a build may take, each with how much of it; its own reservations first."""
        own = {reservation.stock for reservation in self.reserved if reservation.build == build}
        for piece in sorted(self.pieces, key=lambda piece: piece.id not in own):
            amount = self.free(piece.id, build)
            if amount > _SLACK / 2:
                yield piece, amount

    def cut_for(self, build: str, cloth: str) -> ClothCutFor | None:
        """How a cloth was cut for a build, if it was."""
        return next((cut for cut in self.cuts if cut.build == build and cut.cloth == cloth), None)

    def under_way(self) -> Iterator[Order]:
        """Orders of which something is still to come."""
        return (order for order in self.orders if order.under_way)


def read_shelf(data: Any, unit: Unit = "cm", stored: bool = False) -> Shelf:
    """A Shelf from plain data. Raises pydantic.ValidationError (see `build.faults`)."""
    return Shelf.model_validate(data, context={"unit": unit, "stored": stored})


def brought_over(data: Mapping[str, Any], build: str) -> tuple[list[dict[str, Any]], list[dict[str, Any]]]:
    """What a build of an older file had set aside for itself, as pieces of the workshop's shelf and reservations.

    Without numbers yet: each reservation names its piece by its place. What can't be read is left out.
    """
    bones = data.get("bones")
    kept = bones.get("shelf") if isinstance(bones, dict) else None
    own = data.get("catalogue")
    kinds = (own.get("bones") if isinstance(own, dict) else None) or {}
    pieces: list[dict[str, Any]] = []
    for one in kept if isinstance(kept, list) else ():
        name = one.get("kind") if isinstance(one, dict) else None
        kind = BONES.get(name) if isinstance(name, str) else None
        label = kind.label if kind else (kinds.get(name) or {}).get("label") if isinstance(kinds, dict) else None
        try:
            piece = Stock.model_validate(
                {
                    "id": "x",
                    "sort": "bone",
                    "name": name,
                    "label": label or str(name),
                    "count": one.get("count", 1),
                    "length_mm": one.get("length_mm"),
                }
            )
        except (ValidationError, AttributeError):
            continue
        pieces.append(piece.model_dump(mode="json"))
    return pieces, [{"stock": str(i), "build": build, "amount": piece["count"]} for i, piece in enumerate(pieces)]
