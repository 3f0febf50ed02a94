"""Routes of the garment on her body: surfaces and lines in space, and her silhouette."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.file_names import named_file
from fuseau.app.json_route import JsonRoute
from fuseau.app.session import TheSession
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import message
from fuseau.files.on_body_drawing import draw_on_body
from fuseau.planning.worn.on_body import OnBody, Silhouettes, inputs_of, on_body, silhouettes

MOST_TURN_DEG = 360.0

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.get("/builds/{build_id}/body", response_model=OnBody)
def show_on_body(session: TheSession, build_id: str, version: str = Query("", max_length=12)) -> Response:
    """The garment on her: the present version or the draft, another by its number, or the `proposed` one."""
    at = session.at_hand(build_id)
    found = inputs_of(at.build, at.planned, version)
    if found is None:
        return session.answer(OnBody(said=(message("on_body.unmeasured"),)))
    return session.answer(on_body(found))


@router.get("/builds/{build_id}/silhouette", response_model=Silhouettes | None)
def show_silhouette(session: TheSession, build_id: str) -> Response:
    """Her outline from the front and from the side, bare, padded and worn; nothing while she is not measured."""
    at = session.at_hand(build_id)
    found = inputs_of(at.build, at.planned)
    return session.answer(silhouettes(found)) if found else Response("null", media_type="application/json")


@router.get("/builds/{build_id}/body.svg", response_class=Response)
def draw_body(
    session: TheSession,
    build_id: str,
    turn: Annotated[list[float], Query(min_length=1, max_length=6)] = [0.0, 180.0],  # noqa: B006, made anew each time
    version: str = Query("", max_length=12),
) -> Response:
    """The garment on her as a drawing: from each of these turns, ° about upright, 0 from in front."""
    at = session.at_hand(build_id)
    found = inputs_of(at.build, at.planned, version)
    if found is None or not all(abs(one) <= MOST_TURN_DEG for one in turn):
        raise Unmakeable("turn", "on_body.unmeasured" if found is None else "on_body.turn")
    drawn = draw_on_body(on_body(found), turn, f"{at.build.brief.name}, on the body")
    return named_file(drawn.encode(), "image/svg+xml", f"{at.build.brief.name} on the body", ".svg")
