"""Routes of what this workshop is, and of the demo workshop beside it."""

from fastapi import APIRouter, Request

from fuseau import __version__
from fuseau.app.guard import ROOM_HOST
from fuseau.app.json_route import JsonRoute
from fuseau.craft.base.record import Sent

router = APIRouter(prefix="/api", route_class=JsonRoute)


class About(Sent):
    """Which Fuseau this is, where it keeps its data (told on the laptop alone), and whether it is the demo workshop."""

    version: str
    folder: str
    demo: bool


class Beside(Sent):
    """Where the demo workshop is."""

    url: str


@router.get("/about")
def read_about(request: Request) -> About:
    """Which Fuseau this is, and where its data are."""
    settings = request.app.state.settings
    folder = "" if ROOM_HOST in request.scope else str(settings.data.resolve())
    return About(version=__version__, folder=folder, demo=settings.demo)


@router.post("/demo", status_code=201)
def open_demo(request: Request) -> Beside:
    """Start the demo workshop beside this one, if it does not run yet."""
    return Beside(url=request.app.state.demo.open())
