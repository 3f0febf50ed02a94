"""Routes of what is being worked out beside the edits: how far it is, and stopping it."""

from typing import Literal

from fastapi import APIRouter
from pydantic import BaseModel

from fuseau.app.json_route import JsonRoute
from fuseau.app.session import TROUBLES, TheSession, TheWorkers

router = APIRouter(prefix="/api", responses=TROUBLES, route_class=JsonRoute)

Question = Literal["odds", "story", "schools", "cutting"]


class UnderWay(BaseModel):
    """Something that is being worked out, and the share of it that is done; None while it waits for its turn."""

    what: Question
    share: float | None


@router.get("/builds/{build_id}/underway")
def list_underway(session: TheSession, workers: TheWorkers, build_id: str) -> list[UnderWay]:
    """What is being worked out on a build."""
    session.workshop.look(build_id)
    return [UnderWay.model_validate(one.__dict__) for one in workers.underway(build_id)]


@router.delete("/builds/{build_id}/underway/{what}", status_code=204)
def stop_underway(session: TheSession, workers: TheWorkers, build_id: str, what: Question) -> None:
    """Stop it; whoever asked hears that it was stopped."""
    session.workshop.look(build_id)
    workers.stop(build_id, what)
