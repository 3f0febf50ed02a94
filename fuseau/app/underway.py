"""Routes of what is being worked out beside the edits: how far it is, and stopping it."""

from fastapi import APIRouter

from fuseau.app.json_route import JsonRoute
from fuseau.app.session import TheSession, TheWorkers
from fuseau.app.workers import Question, Underway

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.get("/builds/{build_id}/underway")
def list_underway(session: TheSession, workers: TheWorkers, build_id: str) -> list[Underway]:
    """What is being worked out on a build."""
    session.workshop.look(build_id)
    return workers.underway(build_id)


@router.delete("/builds/{build_id}/underway/{what}", status_code=204)
def stop_underway(session: TheSession, workers: TheWorkers, build_id: str, what: Question) -> None:
    """Stop it; whoever asked hears that it was stopped."""
    session.workshop.look(build_id)
    workers.stop(build_id, what)
