"""The server: one FastAPI application over one workshop."""

import asyncio
import datetime
import warnings
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from pathlib import Path
from typing import Any

from fastapi import FastAPI
from fastapi.responses import FileResponse, Response
from pydantic.warnings import UnsupportedFieldAttributeWarning
from starlette.concurrency import run_in_threadpool

from fuseau import __version__
from fuseau.app import (
    about,
    back,
    backup,
    bones,
    brief,
    cut,
    find,
    front,
    layers,
    make,
    mockups,
    on_body,
    pattern,
    printing,
    record,
    room,
    shelf,
    trims,
    underway,
    wearer,
    workshop,
)
from fuseau.app.caches import Caches
from fuseau.app.demo_beside import DemoBeside
from fuseau.app.errors import Unexpected, answer_errors, trouble
from fuseau.app.faultlog import FaultLog
from fuseau.app.font_faces import SHEET, font_faces
from fuseau.app.guard import Guard
from fuseau.app.news import News
from fuseau.app.room_server import RoomServer
from fuseau.app.session import Session
from fuseau.app.settings import Settings
from fuseau.app.wire import Trouble
from fuseau.app.workers import Workers
from fuseau.files.fonts import FOLDER
from fuseau.store.book import Book
from fuseau.store.cards import Cards
from fuseau.store.copies import keep_daily_copy
from fuseau.store.opening import open_database
from fuseau.store.pictures import Pictures
from fuseau.store.shelf import ShelfStore
from fuseau.store.workshop import Workshop

# FastAPI names every body by an alias, and ignores Pydantic's warning of it while it builds a schema; ours are built
# when they are first asked for.
warnings.filterwarnings("ignore", category=UnsupportedFieldAttributeWarning, module="pydantic")

_LOOK_EVERY_S = 1800
PAGES = Path(__file__).parent / "pages"
DESCRIBED = "openapi.json"  # among the pages
_TROUBLES: dict[int | str, dict[str, Any]] = {404: {"model": Trouble}, 409: {"model": Trouble}, 422: {"model": Trouble}}


def open_session(settings: Settings, caches: Caches | None = None, log: FaultLog | None = None) -> Session:
    """The workshop, book and pictures that the settings name; `caches` may hold what was planned before."""
    engine = open_database(settings.database)
    book, pictures = Book(engine), Pictures(engine)
    shelf, log, news = ShelfStore(engine), log or FaultLog(None), News()
    workshop = Workshop(engine, lambda build, revision: news.tell("build", id=build, revision=revision))
    return Session(settings.database, workshop, book, pictures, shelf, Cards(engine), caches or Caches(), log, news)


def make_app(settings: Settings, describing: bool = False) -> FastAPI:
    """The application on the database that the settings name.

    Only while it is described do its routes carry what they answer in trouble: a server has no use for that, and starts
    without.
    """
    log_path = settings.data / "fuseau.log"
    log = FaultLog(log_path)
    app = FastAPI(
        title="Fuseau",
        version=__version__,
        description="From measures to a corset that fits. Lengths are millimetres; a length sent as text may carry "
        "its unit, a bare number in a text takes the workshop's.",
        docs_url=None,
        redoc_url=None,
        openapi_url=None,
        lifespan=lambda app: _alive(app, settings, log),
    )
    app.state.session = open_session(settings, log=log)
    app.state.workers = Workers(settings.give_way)
    app.state.log_path = log_path
    app.state.settings = settings
    app.state.demo = DemoBeside(settings.data / "demo")
    app.state.room = RoomServer(
        settings.data / "room", settings.room_at, lambda: app.state.session.news.tell("devices")
    )
    app.add_middleware(Unexpected, log=log)
    app.add_middleware(Guard)
    for part in (
        workshop,
        brief,
        wearer,
        pattern,
        mockups,
        bones,
        front,
        back,
        layers,
        trims,
        cut,
        on_body,
        make,
        record,
        shelf,
        printing,
        backup,
        underway,
        room,
        find,
        about,
    ):
        app.include_router(part.router, responses=_TROUBLES if describing else None)
    answer_errors(app)
    _serve_pages(app)
    return app


@asynccontextmanager
async def _alive(app: FastAPI, settings: Settings, log: FaultLog) -> AsyncIterator[None]:
    """While the server runs: the workers are ready, and the database is copied every day."""
    copying = asyncio.create_task(_copy_daily(settings, log))
    warming = asyncio.create_task(run_in_threadpool(app.state.workers.warm)) if settings.warm else None
    try:
        yield
    finally:
        copying.cancel()
        app.state.session.news.close()
        await run_in_threadpool(app.state.room.stop)
        await run_in_threadpool(app.state.demo.close)
        if warming is not None:
            await warming
        await run_in_threadpool(app.state.workers.close)


async def _copy_daily(settings: Settings, log: FaultLog) -> None:
    while True:
        try:
            await run_in_threadpool(keep_daily_copy, settings.database, datetime.date.today())
        except Exception as error:
            log.write(error, "copying the database")
        await asyncio.sleep(_LOOK_EVERY_S)


def _serve_pages(app: FastAPI) -> None:
    @app.get("/api/openapi.json", include_in_schema=False)
    def described() -> Response:
        """What the routes take and answer, as it was written when the interface was built."""
        return _from_pages(DESCRIBED)

    @app.get("/{path:path}", include_in_schema=False)
    def page(path: str) -> Response:
        """The built interface; any other path is a place in it."""
        if path.startswith("api/"):
            return trouble(404, "There is nothing here.")
        if path == SHEET:
            return Response(font_faces(), media_type="text/css", headers={"cache-control": "no-cache"})
        wanted = _file_at(path)
        if wanted is not None:
            lasting = path.startswith(("assets/", "fonts/"))
            return FileResponse(
                wanted, headers={"cache-control": "public, max-age=31536000, immutable" if lasting else "no-cache"}
            )
        return _from_pages("index.html")


def _from_pages(name: str) -> Response:
    """A file of the built interface, which may not be built yet."""
    if not (PAGES / name).is_file():
        return trouble(503, "The interface is not built yet: run “make ui”.")
    return FileResponse(PAGES / name, headers={"cache-control": "no-cache"})


def _file_at(path: str) -> Path | None:
    """The file of the interface at a path, if there is one; the fonts are those of the prints."""
    font = path.startswith("fonts/") and path.endswith(".ttf")
    folder, name = (FOLDER, path.removeprefix("fonts/")) if font else (PAGES, path)
    try:
        wanted = (folder / name).resolve()
        return wanted if name and wanted.is_relative_to(folder) and wanted.is_file() else None
    except (OSError, ValueError):  # a path that no system can have: too long, or with a NUL in it
        return None
