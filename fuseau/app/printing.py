"""Routes of what leaves and comes back: prints, drawings, the open file, a client's sheet."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.session import TROUBLES, TheBody, TheSession, file_answer
from fuseau.app.wire import OpenBuild
from fuseau.commands.fields import change
from fuseau.files.document import write_document
from fuseau.files.paper import Paper

router = APIRouter(prefix="/api", responses=TROUBLES)


@router.get("/builds/{build_id}/pattern.pdf", response_class=Response)
def print_pattern(session: TheSession, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """The pattern at 1:1 on tiled pages."""
    from fuseau.files.tiles import pattern_pdf

    at = session.drafted(build_id)
    return file_answer(pattern_pdf(at.build, at.planned, paper), "application/pdf", at.build, f"-pattern-{paper}.pdf")


@router.get("/builds/{build_id}/list.pdf", response_class=Response)
def print_list(session: TheSession, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """Bones, busk, holes and lace on one page."""
    from fuseau.files.hardware_list import list_pdf

    at = session.drafted(build_id)
    return file_answer(list_pdf(at.build, at.planned, paper, at.unit), "application/pdf", at.build, "-list.pdf")


@router.get("/builds/{build_id}/pattern.svg", response_class=Response)
def draw_pattern(session: TheSession, build_id: str) -> Response:
    """The pattern as SVG in millimetres."""
    from fuseau.files.svg import pattern_svg

    at = session.drafted(build_id)
    return file_answer(pattern_svg(at.build, at.planned).encode(), "image/svg+xml", at.build, "-pattern.svg")


@router.get("/builds/{build_id}/pattern.dxf", response_class=Response)
def draw_pattern_dxf(session: TheSession, build_id: str) -> Response:
    """The pattern as DXF in millimetres, pieces with layers."""
    from fuseau.files.dxf import pattern_dxf

    at = session.drafted(build_id)
    return file_answer(pattern_dxf(at.build, at.planned), "image/vnd.dxf", at.build, "-pattern.dxf")


@router.get("/builds/{build_id}/build.fuseau.json", response_class=Response)
def export_build(session: TheSession, build_id: str) -> Response:
    """The build as an open file, with its pictures."""
    build = session.at_hand(build_id).build
    kept_pictures = [session.pictures.open(picture.id) for picture in build.pictures]
    attached = {one.id: one.content for one in kept_pictures if one is not None}
    return file_answer(write_document(build, attached), "application/json", build, ".fuseau.json")


@router.get("/builds/{build_id}/letter.html", response_class=Response)
def letter_to_send(session: TheSession, build_id: str) -> Response:
    """A client's measuring sheet as one file that works offline."""
    from fuseau.files.letter import letter_html

    build = session.at_hand(build_id).build
    return file_answer(letter_html(build, session.unit), "text/html", build, "-measures.html")


@router.get("/builds/{build_id}/letter.pdf", response_class=Response)
def letter_to_print(session: TheSession, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """The same sheet to print and write on."""
    from fuseau.files.letter import letter_pdf

    build = session.at_hand(build_id).build
    return file_answer(letter_pdf(build, paper), "application/pdf", build, "-measures.pdf")


@router.post("/builds/{build_id}/letter", response_model=OpenBuild)
def read_answer(session: TheSession, build_id: str, revision: int, body: TheBody) -> Response:
    """Take in a client's answer, sent as the body: her measures, marked as not confirmed."""
    from fuseau.files.letter import read_letter

    return session.step(
        build_id, revision, lambda at: change(at.build, read_letter(body), at.unit), "Measures by letter"
    )
