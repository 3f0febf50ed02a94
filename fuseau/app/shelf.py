"""Routes of the shelf: what lies on it, what is reserved, scraps from photos, CSV, orders and what they bring."""

import datetime
from collections.abc import Iterable
from typing import Annotated

from fastapi import APIRouter, Path
from fastapi.responses import Response
from shapely.geometry import Polygon

from fuseau.app.file_names import named_file
from fuseau.app.json_route import JsonRoute, TheFile
from fuseau.app.session import Session, TheSession, TheWorkers
from fuseau.app.wire import Named
from fuseau.app.wire_shelf import (
    Arrived,
    CsvRead,
    KnownArticles,
    ListRead,
    Needs,
    OnShelf,
    OnShelfRevision,
    OpenShelf,
    OrderSeen,
    PlaceOrder,
    PutOnShelf,
    Reserve,
    ReserveAll,
    RewritePiece,
    ScrapPhoto,
    ScrapRead,
    ShoppingSeen,
)
from fuseau.app.work import list_wants
from fuseau.app.workers import Underway
from fuseau.commands.shelf import arrive, cancel, place_order, put, reserve, rewrite, take_off
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import LengthError, parse_length
from fuseau.craft.layout.scraps import outline_from_photo
from fuseau.craft.stock.articles import known_articles
from fuseau.craft.stock.stock import Stock
from fuseau.document.shelf import Order, Shelf
from fuseau.files.shelf_csv import read_shelf_csv, shelf_csv
from fuseau.files.shopping_csv import read_shopping_csv, shopping_csv
from fuseau.planning.told.needs import needs_of
from fuseau.planning.workshop.shopping import Shopping, ready_by, shopping
from fuseau.stand_ins.suppliers import arrival, comes_short, offers, sent_on
from fuseau.store.shelf import ShelfOpened
from fuseau.store.workshop import Opened

router = APIRouter(prefix="/api", route_class=JsonRoute)
StockPath = Annotated[str, Path(max_length=16)]
_ALL = "-"  # the shopping list is of no build in particular


@router.get("/shelf")
def read_shelf(session: TheSession) -> OpenShelf:
    """What lies on the shelf, who has reserved of it, and orders."""
    return _seen(session, session.shelf.open())


@router.get("/articles")
def list_articles(session: TheSession) -> KnownArticles:
    """Every article of the catalogue, with the workshop's own."""
    own = session.shelf.open().shelf.catalogue
    return KnownArticles(articles=list(known_articles(own.all_cloths, own.kinds)))


@router.post("/shelf/pieces", status_code=201)
def put_on(session: TheSession, given: PutOnShelf) -> OpenShelf:
    """Put pieces on the shelf."""
    written = [piece.model_dump(mode="json", exclude_unset=True) for piece in given.pieces]
    first = str(written[0].get("label") or "a piece")
    label = f"On the shelf: {first}" + (f" and {len(written) - 1} more" if len(written) > 1 else "")
    return _seen(session, session.shelf.edit(lambda now: put(now, written, session.unit), label, given.revision))


@router.put("/shelf/pieces/{stock}")
def rewrite_piece(session: TheSession, stock: StockPath, given: RewritePiece) -> OpenShelf:
    """Write a piece anew."""
    written = given.piece.model_dump(mode="json", exclude_unset=True)
    step = session.shelf.edit(lambda now: rewrite(now, stock, written, session.unit), "Written anew", given.revision)
    return _seen(session, step)


@router.post("/shelf/pieces/{stock}/take-off")
def take_piece_off(session: TheSession, stock: StockPath, given: OnShelfRevision) -> OpenShelf:
    """Take a piece off the shelf. Refused while a build has reserved of it."""
    return _seen(session, session.shelf.edit(lambda now: take_off(now, stock), "Off the shelf", given.revision))


@router.post("/shelf/pieces/{stock}/reserve")
def reserve_piece(session: TheSession, stock: StockPath, given: Reserve) -> OpenShelf:
    """Keep so much of a piece for a build, or let go of it."""
    name = session.workshop.look(given.build).name

    def step(now: Shelf) -> Shelf:
        return reserve(now, given.build, stock, _amount(session, now, stock, given.amount))

    return _seen(session, session.shelf.edit(step, f"Reserved for {name}", given.revision))


@router.post("/builds/{build_id}/reserve", response_model=OpenShelf)
def reserve_all(session: TheSession, build_id: str, given: ReserveAll) -> OpenShelf:
    """Keep for a build all that it uses of the shelf."""
    name = session.workshop.look(build_id).name

    def step(now: Shelf) -> Shelf:
        for stock, amount in given.amounts.items():
            now = reserve(now, build_id, stock, amount)
        return now

    return _seen(session, session.shelf.edit(step, f"Reserved for {name}"))


@router.get("/builds/{build_id}/needs")
def read_needs(session: TheSession, build_id: str) -> Needs:
    """What a build needs of hardware, laces and tapes: by the piece or by its length, stage by stage."""
    at = session.at_hand(build_id)
    return Needs(needs=list(needs_of(at.build, at.planned, {}, ())))


@router.post("/shelf/undo")
def undo_shelf(session: TheSession, given: OnShelfRevision) -> OpenShelf:
    """Undo the last change of the shelf."""
    return _seen(session, session.shelf.undo(given.revision))


@router.post("/shelf/redo")
def redo_shelf(session: TheSession, given: OnShelfRevision) -> OpenShelf:
    """Do again what was undone."""
    return _seen(session, session.shelf.redo(given.revision))


@router.post("/scrap")
def read_scrap(session: TheSession, photo: ScrapPhoto) -> ScrapRead:
    """The outline of a scrap from marks on its photo."""
    known = _length(session, "known_mm", photo.known_mm), _length(session, "known_high_mm", photo.known_high_mm)
    outline, flaws = outline_from_photo(photo.scale, known, photo.outline, photo.grain, photo.flaws)
    low, bottom, high, top = Polygon(outline).bounds
    return ScrapRead(
        outline=list(outline),
        flaws=[list(flaw) for flaw in flaws],
        long_mm=high - low,
        wide_mm=top - bottom,
        area_mm2=Polygon(outline, [flaw for flaw in flaws if Polygon(outline).contains(Polygon(flaw))]).area,
    )


# --- CSV


@router.get("/shelf.csv", response_class=Response)
def save_shelf(session: TheSession) -> Response:
    """Everything on the shelf as a CSV file."""
    return named_file(shelf_csv(session.shelf.open().shelf.pieces), "text/csv", "shelf", ".csv")


@router.post("/shelf/csv")
def open_csv(session: TheSession, workers: TheWorkers, body: TheFile) -> CsvRead:
    """What a CSV file, sent as the body, would put on the shelf; nothing is put there yet."""
    own = session.shelf.open().shelf.catalogue
    articles = tuple(known_articles(own.all_cloths, own.kinds))
    return CsvRead(rows=workers.read(read_shelf_csv, body, session.unit, articles))


# --- shopping


@router.get("/shopping", response_model=ShoppingSeen)
def read_shopping(session: TheSession, workers: TheWorkers) -> Response:
    """What is to be bought for all builds: each article, for which builds, from whom and by when."""
    found, builds, today = _shopping(session, workers)
    names = [Named(name=build.id, label=build.build.brief.name) for build in builds]
    return session.answer(ShoppingSeen(shopping=found, builds=names, today=today))


@router.get("/shopping/underway")
def list_shopping_underway(workers: TheWorkers) -> list[Underway]:
    """How far the list is."""
    return workers.underway(_ALL)


@router.delete("/shopping/underway", status_code=204)
def stop_shopping(workers: TheWorkers) -> None:
    """Stop working the list out."""
    workers.stop(_ALL, "shopping")


@router.get("/shopping.csv", response_class=Response)
def save_shopping(session: TheSession, workers: TheWorkers) -> Response:
    """The shopping list as a CSV file."""
    found, builds, _ = _shopping(session, workers)
    names = _list_names(builds)
    return named_file(shopping_csv(found.lines, names, session.unit), "text/csv", "shopping", ".csv")


@router.post("/shopping/csv")
def open_list(session: TheSession, workers: TheWorkers, body: TheFile) -> ListRead:
    """What a shopping list, sent as the body, says was ordered or bought; nothing is written down yet."""
    own = session.shelf.open().shelf.catalogue
    articles = tuple(known_articles(own.all_cloths, own.kinds))
    names = _list_names([build for build in session.workshop.builds() if build.build.rehearsal is None])
    ids = {name: build for build, name in names.items()}
    return ListRead(rows=workers.read(read_shopping_csv, body, session.unit, articles, ids))


@router.post("/orders", status_code=201)
def order(session: TheSession, given: PlaceOrder) -> OpenShelf:
    """Place an order with one of the shops, or write down one from a shop of hers."""
    today = datetime.date.today()
    label = f"Ordered from {given.shop}"
    if given.due_on is not None:
        due = given.due_on
        own = session.shelf.edit(
            lambda now: place_order(now, given.shop, given.lines, today, due, own=True), label, given.revision
        )
        return _seen(session, own)
    days = {(offer.shop, offer.article.sort): (offer.days, offer.days_spread) for offer in offers()}
    asked = [days.get((given.shop, line.article.sort)) for line in given.lines]
    if not all(asked):
        raise Unmakeable("shop", "shelf.no_such_shop", shop=given.shop)

    def step(now: Shelf) -> Shelf:
        due = arrival(f"o{now.numbered + 1}", [one for one in asked if one], today)
        return place_order(now, given.shop, given.lines, today, due)

    return _seen(session, session.shelf.edit(step, label, given.revision))


@router.post("/orders/{order_id}/arrive")
def order_arrived(session: TheSession, order_id: StockPath, given: Arrived) -> OpenShelf:
    """What an order brought goes on the shelf."""
    today = datetime.date.today()
    step = session.shelf.edit(
        lambda now: arrive(now, order_id, today, given.came, given.where), "An order arrived", given.revision
    )
    return _seen(session, step)


@router.post("/orders/{order_id}/cancel")
def cancel_order(session: TheSession, order_id: StockPath, given: OnShelfRevision) -> OpenShelf:
    """Call an order off."""
    return _seen(session, session.shelf.edit(lambda now: cancel(now, order_id), "An order called off", given.revision))


# --- inside


def _shopping(session: Session, workers: TheWorkers) -> tuple[Shopping, list[Opened], datetime.date]:
    today = datetime.date.today()
    builds = [build for build in session.workshop.builds() if build.build.rehearsal is None]
    opened = session.shelf.open()
    asked = opened.revision, tuple((build.id, build.revision) for build in builds)
    sent = [(build.id, build.build) for build in builds]
    wants = workers.think(_ALL, "shopping", asked, list_wants, sent, opened.shelf)
    ready = {build.id: ready_by(build.build.brief.needed_on, build.build.practice) for build in builds}
    own = opened.shelf.catalogue
    return shopping(wants, ready, offers(own.all_cloths, own.kinds), today, own.all_cloths, own.kinds), builds, today


def _list_names(builds: Iterable[Opened]) -> dict[str, str]:
    """What each build is called on a list: by its name, with its number where two have one name."""
    found: dict[str, str] = {}
    for build in builds:
        name = build.build.brief.name.replace(";", ",").strip()
        found[build.id] = f"{name} ({build.id})" if name in found.values() else name
    return found


def on_shelf(shelf: Shelf, piece: Stock, build: str | None = None) -> OnShelf:
    """A piece as it is shown; `free` is what a build may take of it, its own included."""
    return OnShelf(
        piece=piece,
        measure=piece.measure,
        amount=piece.amount,
        free=shelf.free(piece.id, build),
        reserved=[reservation for reservation in shelf.reserved if reservation.stock == piece.id],
        shape=list(piece.shape) if piece.sort == "cloth" else [],
    )


def _seen(session: Session, opened: ShelfOpened) -> OpenShelf:
    shelf, today = opened.shelf, datetime.date.today()
    return OpenShelf(
        revision=opened.revision,
        damaged=opened.damaged,
        undoes=opened.undoes,
        redoes=opened.redoes,
        pieces=[on_shelf(shelf, piece) for piece in shelf.pieces],
        orders=[_order_seen(order, today) for order in reversed(shelf.orders)],
        builds=[Named(name=line.id, label=line.name) for line in session.workshop.listed()],
        today=today,
    )


def _order_seen(order: Order, today: datetime.date) -> OrderSeen:
    missing = [0 if order.own else comes_short(order.id, i, line.packs) for i, line in enumerate(order.lines)]
    comes = [(line.packs - short) * line.pack for line, short in zip(order.lines, missing, strict=True)]
    return OrderSeen(
        order=order,
        price=order.price,
        on_its_way=order.under_way and not order.own and sent_on(order.id, order.placed_on) <= today,
        here=order.under_way and order.due_on <= today,
        comes=comes,
    )


def _amount(session: Session, shelf: Shelf, stock: str, written: str | float | None) -> float | None:
    """How much she wants of a piece: a length in her unit, or a number of pieces."""
    if written is None or not shelf.has(stock):
        return None
    if not isinstance(written, str):
        return float(written)
    if shelf.piece(stock).measure == "length":
        return _length(session, "amount", written)
    try:
        return float(written.replace(",", "."))
    except ValueError:
        raise Unmakeable("amount", "shelf.how_many") from None


def _length(session: Session, at: str, written: str | float | None) -> float | None:
    if not isinstance(written, str):
        return written
    try:
        return parse_length(written, session.unit)
    except LengthError as error:
        raise Unmakeable(at, "length.unread", said=str(error)) from None
