"""Routes of the front: what opens the front at 1:1."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.session import TROUBLES, TheSession, file_answer
from fuseau.files.paper import Paper

router = APIRouter(prefix="/api", responses=TROUBLES)


@router.get("/builds/{build_id}/front.pdf", response_class=Response)
def print_front(session: TheSession, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """Both sides of what opens the front at 1:1: where to sew and leave, knob holes, hooks, the ends of a zip."""
    from fuseau.files.strips import front_pdf

    at = session.drafted(build_id)
    return file_answer(
        front_pdf(at.build, at.planned, paper, at.unit), "application/pdf", at.build, f"-front-{paper}.pdf"
    )
