"""Routes of what leaves and comes back: prints, drawings, the open file, a client's sheet."""

from collections.abc import Callable
from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.file_names import file_answer, named_file
from fuseau.app.json_route import JsonRoute, TheFile
from fuseau.app.session import Session, TheSession, TheWorkers
from fuseau.app.wire import OpenBuild, Revision
from fuseau.app.work import make_print
from fuseau.app.workers import Workers
from fuseau.commands.fields import change
from fuseau.commands.versions import as_of_version
from fuseau.document.build import Build
from fuseau.files.document import write_document
from fuseau.files.paper import Paper
from fuseau.files.prints import Print
from fuseau.store.workshop import UnreadableBuild

router = APIRouter(prefix="/api", route_class=JsonRoute)


_MEDIA = {"pdf": "application/pdf", "svg": "image/svg+xml", "dxf": "image/vnd.dxf"}


def printed(
    session: Session,
    workers: Workers,
    build_id: str,
    what: Print,
    paper: Paper = "a4",
    version: int | None = None,
    roll_mm: int = 914,
) -> Response:
    """A print of a build, or of one of its versions, as a file to save, made in a worker. Raises Unmakeable, Overrun.

    The file is named after what it shows: which version, on which paper.
    """
    build = session.workshop.open(build_id).build
    if version is not None:
        build = as_of_version(build, version)
    content = workers.make(make_print, build_id, build, what, paper, session.unit, roll_mm)
    name, kind = what.rsplit(".", 1)
    if name == "letter":
        return file_answer(content, _MEDIA[kind], build, "-measures.pdf")
    sized = f"-{roll_mm}mm" if name in _LARGE else f"-{paper}" if kind == "pdf" and name not in _ONE_PAGE else ""
    return file_answer(content, _MEDIA[kind], build, f"-{name}{_shown(build)}{sized}.{kind}")


def _shown(build: Build) -> str:
    """The version that a file shows, as it stands in its name."""
    return f"-v{build.current.number}" if build.current else "-draft"


_ONE_PAGE, _LARGE = ("list", "on-her", "fitting"), ("large", "projector")
Version = Annotated[int | None, Query(ge=1, le=2**53, description="One of its versions; none is the present one.")]
_PAGES: dict[Print, str] = {
    "pattern.pdf": "The pattern at 1:1 on tiled pages.",
    "plies.pdf": "Every piece of every ply at 1:1 on tiled pages.",
    "list.pdf": "Bones, busk, holes, lace and cloth, to tick off.",
    "fitting.pdf": "A fitting of the present version to write down by hand, one page.",
    "on-her.pdf": "The garment on her from four sides, with her levels as they are worn.",
}
_ROLLS: dict[Print, str] = {
    "large.pdf": "The pattern at 1:1 on one page as wide as a plotter's roll.",
    "projector.pdf": "The pattern at 1:1 on one page, with layers to be switched and thick lines, for a projector.",
}
_DRAWINGS: dict[Print, str] = {
    "pattern.svg": "The pattern as SVG in millimetres.",
    "pattern.dxf": "The pattern as DXF in millimetres, pieces with layers.",
    "plies.svg": "Every piece of every ply as SVG in millimetres.",
    "plies.dxf": "Every piece of every ply as DXF in millimetres, in layers.",
}


def _offer_pages(what: Print) -> None:
    def print_pages(
        session: TheSession,
        workers: TheWorkers,
        build_id: str,
        paper: Annotated[Paper, Query()] = "a4",
        version: Version = None,
    ) -> Response:
        return printed(session, workers, build_id, what, paper, version)

    _offer(what, _PAGES[what], print_pages)


def _offer_drawing(what: Print) -> None:
    def draw(session: TheSession, workers: TheWorkers, build_id: str, version: Version = None) -> Response:
        return printed(session, workers, build_id, what, version=version)

    _offer(what, _DRAWINGS[what], draw)


def _offer(what: Print, told: str, route: Callable[..., Response]) -> None:
    path, name = f"/builds/{{build_id}}/{what}", f"print_{what.replace('.', '_').replace('-', '_')}"
    router.add_api_route(path, route, response_class=Response, description=told, name=name, operation_id=name)


def _offer_large(what: Print) -> None:
    def print_large(
        session: TheSession,
        workers: TheWorkers,
        build_id: str,
        roll: Annotated[int, Query(ge=300, le=2000, description="How wide the page is, mm; 841 is A0.")] = 914,
        version: Version = None,
    ) -> Response:
        return printed(session, workers, build_id, what, version=version, roll_mm=roll)

    _offer(what, _ROLLS[what], print_large)


for _what in _ROLLS:
    _offer_large(_what)
for _what in _PAGES:
    _offer_pages(_what)
for _what in _DRAWINGS:
    _offer_drawing(_what)


@router.get("/builds/{build_id}/build.fuseau.json", response_class=Response)
def export_build(session: TheSession, build_id: str) -> Response:
    """The build as an open file, with its pictures; one that can't be read, as it is kept."""
    try:
        build = session.workshop.open(build_id).build
    except UnreadableBuild:
        kept = session.workshop.document(build_id)
        return named_file(kept.encode(), "application/json", session.workshop.look(build_id).name, ".fuseau.json")
    return file_answer(write_document(build, session.pictures_of(build)), "application/json", build, ".fuseau.json")


@router.get("/builds/{build_id}/bones.csv", response_class=Response)
def save_bones(session: TheSession, build_id: str) -> Response:
    """Every bone as a CSV file."""
    from fuseau.files.bones_csv import bones_csv

    at = session.at_hand(build_id)
    return file_answer(bones_csv(at.planned, session.unit), "text/csv", at.build, f"-bones{_shown(at.build)}.csv")


@router.get("/builds/{build_id}/letter.html", response_class=Response)
def letter_to_send(session: TheSession, build_id: str) -> Response:
    """A client's measuring sheet as one file that works offline."""
    from fuseau.files.letter import letter_html

    build = session.at_hand(build_id).build
    return file_answer(letter_html(build, session.unit), "text/html", build, "-measures.html")


@router.get("/builds/{build_id}/letter.pdf", response_class=Response)
def letter_to_print(
    session: TheSession, workers: TheWorkers, build_id: str, paper: Annotated[Paper, Query()] = "a4"
) -> Response:
    """The same sheet to print and write on."""
    return printed(session, workers, build_id, "letter.pdf", paper)


@router.post("/builds/{build_id}/letter", response_model=OpenBuild)
def read_answer(session: TheSession, workers: TheWorkers, build_id: str, revision: Revision, body: TheFile) -> Response:
    """Take in a client's answer, sent as the body: her measures, marked as not confirmed."""
    from fuseau.files.letter import read_letter

    measures = workers.read(read_letter, body)
    return session.step(build_id, revision, lambda at: change(at.build, measures, at.unit), "Measures by letter")
