"""What goes over the wire of the shelf, the shopping list and the cutting table."""

import datetime
from typing import TYPE_CHECKING, Annotated, Literal, TypeAlias

from pydantic import BaseModel, Field

from fuseau.app.wire import Named, OnRevision, Revision, WrittenEdit
from fuseau.app.written import Written, as_written
from fuseau.craft.base.findings import Change
from fuseau.craft.base.record import Day, Sent, Text
from fuseau.craft.layout.at_hand import Laying
from fuseau.craft.layout.nesting import Pinned
from fuseau.craft.stock.articles import Article
from fuseau.craft.stock.stock import Stock
from fuseau.document.shelf import BuildId, Order, OrderLine, Reservation
from fuseau.files.shelf_csv import CsvRow
from fuseau.files.shopping_csv import BoughtRow
from fuseau.planning.stages.cut import Use
from fuseau.planning.told.needs import Need
from fuseau.planning.workshop.shopping import Shopping

if TYPE_CHECKING:
    WrittenStock: TypeAlias = BaseModel
else:
    WrittenStock = as_written(Stock, leave_out=frozenset({"id"}), optional=frozenset(Stock.model_fields))

Spots = Annotated[list[tuple[float, float]], Field(max_length=400)]


class OnShelf(Sent):
    """A piece of the shelf: how much is free, who has reserved of it, and its outline where it is cloth."""

    piece: Stock
    measure: Literal["length", "piece"]
    amount: float
    free: float
    reserved: list[Reservation]
    shape: list[tuple[float, float]]


class OrderSeen(Sent):
    """An order as it stands today: `on_its_way` once it was sent, `here` when the parcel has come.

    `comes` is what the shop has packed of each line.
    """

    order: Order
    price: float
    on_its_way: bool
    here: bool
    comes: list[float]


class OpenShelf(Sent):
    """The shelf with its place in its history, and the builds that have reserved of it or could.

    `damaged`: what was kept last can't be read; this is the newest state that can.
    """

    revision: int
    damaged: bool
    undoes: str | None
    redoes: str | None
    pieces: list[OnShelf]
    orders: list[OrderSeen]
    builds: list[Named]
    today: datetime.date


class OnShelfRevision(Sent):
    """Something done to the shelf as it was seen; without a revision, to the shelf as it is."""

    revision: Revision | None = None


class PutOnShelf(OnShelfRevision):
    """Pieces to put on the shelf, as written."""

    pieces: list[WrittenStock] = Field(min_length=1, max_length=2000)


class RewritePiece(OnShelfRevision):
    """A piece of the shelf written anew: what is given."""

    piece: WrittenStock


class Reserve(OnShelfRevision):
    """So much of a piece for a build: text or mm, or a number of pieces; None all that is free, 0 none."""

    build: BuildId
    amount: Written | None = None


class ReserveAll(Sent):
    """Everything that a build uses of the shelf, by number, each with how much."""

    amounts: dict[str, float] = Field(max_length=400)


class ScrapPhoto(Sent):
    """Marks on a photo of a scrap, in pixels from its top left; see `scraps.outline_from_photo`."""

    scale: Spots
    known_mm: Written | None = None
    known_high_mm: Written | None = None
    outline: Spots
    grain: Spots
    flaws: list[Spots] = Field(default_factory=list, max_length=20)


class ScrapRead(Sent):
    """A scrap as its photo gives it: outline and flaws in mm, grain along x; how long and wide, and its area."""

    outline: list[tuple[float, float]]
    flaws: list[list[tuple[float, float]]]
    long_mm: float
    wide_mm: float
    area_mm2: float


class CsvRead(Sent):
    """What a CSV would put on the shelf."""

    rows: list[CsvRow]


class PlaceOrder(OnShelfRevision):
    """An order to place: with whom, and what. With `due_on`, from a shop of hers, here by that day."""

    shop: Annotated[str, Text(80, least=1)]
    lines: list[OrderLine] = Field(min_length=1, max_length=80)
    due_on: Day | None = None


class ListRead(Sent):
    """What a shopping list that was filled in says was ordered or bought."""

    rows: list[BoughtRow]


class Arrived(OnShelfRevision):
    """What of an order came: by line, in mm or pieces; None all of it. `where` it is put."""

    came: list[float | None] = Field(default_factory=list, max_length=80)
    where: str = Field(default="", max_length=80)


class ShoppingSeen(Sent):
    """The shopping list, the articles there are, and what the builds are called."""

    shopping: Shopping
    builds: list[Named]
    today: datetime.date


class ClothLaid(Sent):
    """A cloth laid out: how much new cloth it takes in all, what it uses of the shelf, and what could be cut from."""

    laying: Laying
    to_buy_mm: float
    uses: dict[str, Use]
    at_hand: list[OnShelf]


class CutAsSeen(OnRevision):
    """A cloth that is cut as it was seen: what that takes of the shelf, and how much new cloth."""

    uses: dict[str, Use] = Field(max_length=400)
    to_buy_mm: float = Field(ge=0, le=1_000_000)


class PinPieces(OnRevision):
    """Pieces of a cloth that stay where she put them."""

    pinned: list[Pinned] = Field(max_length=400)


class TakeWay(OnRevision):
    """A way out to take: fields to set and edits of the pattern, and how it is called."""

    changes: list[Change] = Field(default_factory=list, max_length=40)
    edits: list[WrittenEdit] = Field(default_factory=list, max_length=40)
    label: Annotated[str, Text(200)] = ""


class Needs(Sent):
    """What a build needs that is counted: cloth and bones are laid and cut first."""

    needs: list[Need]


class KnownArticles(Sent):
    """Every article of the catalogue."""

    articles: list[Article]
