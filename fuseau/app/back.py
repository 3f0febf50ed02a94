"""Routes of the back: the punching strip at 1:1."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.session import TROUBLES, TheSession, file_answer
from fuseau.files.paper import Paper

router = APIRouter(prefix="/api", responses=TROUBLES)


@router.get("/builds/{build_id}/holes.pdf", response_class=Response)
def print_holes(session: TheSession, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """The punching strip at 1:1: fold, holes and waist, the same for both sides."""
    from fuseau.files.strips import holes_pdf

    at = session.drafted(build_id)
    return file_answer(
        holes_pdf(at.build, at.planned, paper, at.unit), "application/pdf", at.build, f"-holes-{paper}.pdf"
    )
