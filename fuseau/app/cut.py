"""Routes of the cut: every piece of every ply, and how the pieces of a cloth lie on it."""

from typing import Annotated

from fastapi import APIRouter, Path, Query
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute
from fuseau.app.session import TROUBLES, TheSession, TheWorkers
from fuseau.app.work import lay_marker
from fuseau.craft.layout.marker import Marker
from fuseau.planning.cut import CutPlan, plan_cut

router = APIRouter(prefix="/api", responses=TROUBLES, route_class=JsonRoute)


@router.get("/builds/{build_id}/cut", response_model=CutPlan)
def read_cut(session: TheSession, build_id: str) -> Response:
    """Every piece of every ply by its cloth, and what is bound and taped."""
    at = session.at_hand(build_id)
    return session.answer(plan_cut(at.build, at.planned))


@router.get("/builds/{build_id}/markers/{cloth}")
def read_marker(
    session: TheSession,
    workers: TheWorkers,
    build_id: str,
    cloth: Annotated[str, Path(max_length=40)],
    fold: bool = False,
    seconds: Annotated[int, Query(ge=1, le=60)] = 3,
) -> Marker:
    """The pieces of a cloth laid on it as closely as is found in so many seconds. It can be stopped as a question."""
    opened, unit = session.workshop.open(build_id), session.unit
    asked = opened.revision, unit, cloth, fold, seconds
    return workers.think(build_id, "marker", asked, lay_marker, build_id, opened.build, unit, cloth, fold, seconds)
