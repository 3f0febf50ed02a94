"""Routes of the back: the punching strip at 1:1."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute
from fuseau.app.printing import printed
from fuseau.app.session import TheSession, TheWorkers
from fuseau.files.paper import Paper

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.get("/builds/{build_id}/holes.pdf", response_class=Response)
def print_holes(
    session: TheSession, workers: TheWorkers, build_id: str, paper: Annotated[Paper, Query()] = "a4"
) -> Response:
    """The punching strip at 1:1: fold, holes and waist, the same for both sides."""
    return printed(session, workers, build_id, "holes.pdf", paper)
