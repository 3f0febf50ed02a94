"""The server: one FastAPI application over one workshop."""

from pathlib import Path

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import FileResponse, JSONResponse, Response
from pydantic import ValidationError
from starlette.exceptions import HTTPException

from fuseau import __version__
from fuseau.app import back, bones, brief, front, mockups, pattern, printing, wearer, workshop
from fuseau.app.caches import Caches
from fuseau.app.guard import Guard
from fuseau.app.session import Session
from fuseau.app.settings import Settings
from fuseau.app.wire import Trouble
from fuseau.craft.base.errors import CraftError
from fuseau.document.build import Fault, faults
from fuseau.files.document import UnreadableFile
from fuseau.store.book import Book, NotInTheBook
from fuseau.store.opening import open_database
from fuseau.store.pictures import Pictures
from fuseau.store.workshop import NoSuchBuild, NothingToDo, Stale, Workshop
from fuseau.wording import Words

PAGES = Path(__file__).parent / "pages"


def open_session(settings: Settings, caches: Caches | None = None) -> Session:
    """The workshop, book and pictures that the settings name; `caches` may hold what was planned before."""
    engine = open_database(settings.database)
    return Session(Workshop(engine), Book(engine), Pictures(engine), caches or Caches())


def make_app(settings: Settings) -> FastAPI:
    """The application on the database that the settings name."""
    app = FastAPI(
        title="Fuseau",
        version=__version__,
        description="From measures to a corset that fits. Lengths are millimetres; a length sent as text may carry "
        "its unit, a bare number in a text takes the workshop's.",
        docs_url=None,
        redoc_url=None,
        openapi_url="/api/openapi.json",
    )
    app.state.session = open_session(settings)
    app.add_middleware(Guard)
    for part in (workshop, brief, wearer, pattern, mockups, bones, front, back, printing):
        app.include_router(part.router)
    _answer_errors(app)
    _serve_pages(app)
    return app


def _trouble(
    status: int, sentence: str, found: list[Fault] | None = None, changed: list[str] | None = None
) -> Response:
    body = Trouble(sentence=sentence, faults=found or [], changed=changed or [])
    return JSONResponse(body.model_dump(), status_code=status)


def _answer_errors(app: FastAPI) -> None:
    @app.exception_handler(ValidationError)
    async def _invalid(_: Request, error: ValidationError) -> Response:
        found = faults(error)
        return _trouble(422, found[0].sentence, found)

    @app.exception_handler(RequestValidationError)
    async def _unreadable(_: Request, error: RequestValidationError) -> Response:
        found = [
            Fault(at=".".join(str(part) for part in one["loc"][1:]), sentence=str(one["msg"])) for one in error.errors()
        ]
        return _trouble(422, found[0].sentence if found else "This request cannot be read.", found)

    @app.exception_handler(CraftError)
    async def _unmakeable(request: Request, error: CraftError) -> Response:
        said = Words(request.app.state.session.unit)(error.message)
        return _trouble(422, said, [Fault(at=error.at, sentence=said)])

    @app.exception_handler(UnreadableFile)
    async def _foreign(_: Request, error: UnreadableFile) -> Response:
        return _trouble(422, error.sentence, list(error.faults))

    @app.exception_handler(Stale)
    async def _stale(_: Request, error: Stale) -> Response:
        sentence = "This build was changed elsewhere meanwhile; your change was not made."
        return _trouble(409, sentence, changed=error.changed)

    @app.exception_handler(NothingToDo)
    async def _nothing(_: Request, error: NothingToDo) -> Response:
        return _trouble(409, str(error))

    @app.exception_handler(NoSuchBuild)
    async def _absent(_: Request, error: NoSuchBuild) -> Response:
        return _trouble(404, str(error))

    @app.exception_handler(NotInTheBook)
    async def _not_in_the_book(_: Request, error: NotInTheBook) -> Response:
        return _trouble(404, str(error))

    @app.exception_handler(HTTPException)
    async def _other(_: Request, error: HTTPException) -> Response:
        return _trouble(error.status_code, str(error.detail))


def _serve_pages(app: FastAPI) -> None:
    @app.get("/{path:path}", include_in_schema=False)
    def page(path: str) -> Response:
        """The built interface; any other path is a place in it."""
        if path.startswith("api/"):
            return _trouble(404, "There is nothing here.")
        wanted = (PAGES / path).resolve()
        if path and wanted.is_relative_to(PAGES) and wanted.is_file():
            lasting = path.startswith("assets/")
            return FileResponse(
                wanted, headers={"cache-control": "public, max-age=31536000, immutable" if lasting else "no-cache"}
            )
        index = PAGES / "index.html"
        if not index.is_file():
            return _trouble(503, "The interface is not built yet: run “make ui”.")
        return FileResponse(index, headers={"cache-control": "no-cache"})
