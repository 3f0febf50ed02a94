"""Routes of the front: what opens the front at 1:1."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute
from fuseau.app.printing import printed
from fuseau.app.session import TheSession, TheWorkers
from fuseau.files.paper import Paper

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.get("/builds/{build_id}/front.pdf", response_class=Response)
def print_front(
    session: TheSession, workers: TheWorkers, build_id: str, paper: Annotated[Paper, Query()] = "a4"
) -> Response:
    """Both sides of what opens the front at 1:1: where to sew and leave, knob holes, hooks, the ends of a zip."""
    return printed(session, workers, build_id, "front.pdf", paper)
