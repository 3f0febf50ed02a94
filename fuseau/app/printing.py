"""Routes of what leaves and comes back: prints, drawings, the open file, a client's sheet."""

from typing import Annotated

from fastapi import APIRouter, Query, Request
from fastapi.responses import Response

from fuseau.app.answering import TROUBLES, TheDesk, file_answer, kept, makeable
from fuseau.app.session import Desk
from fuseau.app.wire import OpenBuild
from fuseau.commands.fields import change
from fuseau.craft.base.errors import Unmakeable
from fuseau.document.build import Build
from fuseau.files.document import write_document
from fuseau.files.paper import Paper
from fuseau.planning.plan import Plan

router = APIRouter(prefix="/api", responses=TROUBLES)


def drafted(desk: Desk, build_id: str) -> tuple[Build, Plan]:
    """A build that has a pattern, with its plan. Raises Unmakeable while there is none."""
    opened = desk.workshop.open(build_id)
    planned = desk.plan(build_id, opened.build)
    if planned.pattern is None:
        raise Unmakeable("wearer", "There is no pattern to print yet: the measures come first.")
    return opened.build, planned


@router.get("/builds/{build_id}/pattern.pdf", response_class=Response)
def print_pattern(desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """The pattern at 1:1 on tiled pages."""
    from fuseau.files.tiles import pattern_pdf

    build, planned = drafted(desk, build_id)
    return file_answer(pattern_pdf(build, planned, paper), "application/pdf", build, f"-pattern-{paper}.pdf")


@router.get("/builds/{build_id}/list.pdf", response_class=Response)
def print_list(desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """Bones, busk, holes and lace on one page."""
    from fuseau.files.hardware_list import list_pdf

    build, planned = drafted(desk, build_id)
    return file_answer(list_pdf(build, planned, paper, desk.unit), "application/pdf", build, "-list.pdf")


@router.get("/builds/{build_id}/pattern.svg", response_class=Response)
def draw_pattern(desk: TheDesk, build_id: str) -> Response:
    """The pattern as SVG in millimetres."""
    from fuseau.files.svg import pattern_svg

    build, planned = drafted(desk, build_id)
    return file_answer(pattern_svg(build, planned).encode(), "image/svg+xml", build, "-pattern.svg")


@router.get("/builds/{build_id}/pattern.dxf", response_class=Response)
def draw_pattern_dxf(desk: TheDesk, build_id: str) -> Response:
    """The pattern as DXF in millimetres, pieces with layers."""
    from fuseau.files.dxf import pattern_dxf

    build, planned = drafted(desk, build_id)
    return file_answer(pattern_dxf(build, planned), "image/vnd.dxf", build, "-pattern.dxf")


@router.get("/builds/{build_id}/build.fuseau.json", response_class=Response)
def export_build(desk: TheDesk, build_id: str) -> Response:
    """The build as an open file, with its pictures."""
    build = desk.workshop.open(build_id).build
    kept_pictures = [desk.pictures.open(picture.id) for picture in build.pictures]
    attached = {one.id: one.content for one in kept_pictures if one is not None}
    return file_answer(write_document(build, attached), "application/json", build, ".fuseau.json")


@router.get("/builds/{build_id}/letter.html", response_class=Response)
def letter_to_send(desk: TheDesk, build_id: str) -> Response:
    """A client's measuring sheet as one file that works offline."""
    from fuseau.files.letter import letter_html

    build = desk.workshop.open(build_id).build
    return file_answer(letter_html(build, desk.unit), "text/html", build, "-measures.html")


@router.get("/builds/{build_id}/letter.pdf", response_class=Response)
def letter_to_print(desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """The same sheet to print and write on."""
    from fuseau.files.letter import letter_pdf

    build = desk.workshop.open(build_id).build
    return file_answer(letter_pdf(build, paper), "application/pdf", build, "-measures.pdf")


@router.post("/builds/{build_id}/letter", response_model=OpenBuild)
async def readanswer(desk: TheDesk, build_id: str, revision: int, request: Request) -> Response:
    """Take in a client's answer, sent as the body: her measures, marked as not confirmed."""
    from fuseau.files.letter import read_letter

    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, revision)
    changed = change(opened.build, read_letter(await request.body()), desk.unit)
    planned = makeable(desk, opened, changed)
    return kept(desk, build_id, revision, changed, "Measures by letter", planned)
