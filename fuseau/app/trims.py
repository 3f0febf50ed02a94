"""Routes of the trims: put on, changed, taken off; and what is free for a motif."""

from typing import Annotated, Any

from fastapi import APIRouter, Query
from fastapi.responses import Response
from pydantic import Field

from fuseau.app.json_route import JsonRoute
from fuseau.app.session import AtHand, TheSession
from fuseau.app.wire import OnRevision, OpenBuild
from fuseau.commands.trims import check_trim, put_trim, take_trim
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import LengthError, parse_length
from fuseau.craft.base.record import Sent
from fuseau.craft.trims.areas import PanelRoom
from fuseau.document.build import Build
from fuseau.planning.pictures.trim_marks import TrimMark, trim_marks
from fuseau.planning.stages.trims import TrimGroup
from fuseau.planning.trims.rooms import free_of

router = APIRouter(prefix="/api", route_class=JsonRoute)


class PutTrim(OnRevision):
    """A trim of a group, as written; with a `key` another version of that one."""

    trim: dict[str, Any] = Field(max_length=40)


class TakeTrim(OnRevision):
    """A trim to take off, by its key."""

    key: Annotated[str, Field(max_length=20)]


class FreeRooms(Sent):
    """What is free on each panel of a half, and on which a motif of a size has room."""

    rooms: list[PanelRoom]
    fits: list[int]


@router.put("/builds/{build_id}/trims/{group}", response_model=OpenBuild)
def keep_trim(session: TheSession, build_id: str, group: TrimGroup, given: PutTrim) -> Response:
    """Put a trim on, or change one; refused at its field where it can't lie so."""

    def step(at: AtHand) -> Build:
        build, place = put_trim(at.build, group, given.trim, at.unit)
        check_trim(session.plan(at.id, build), group, place)
        return build

    name = str(given.trim.get("name") or given.trim.get("pattern") or group)[:80]
    said = f"Trim changed: {name}" if given.trim.get("key") else f"Trim put on: {name}"
    return session.step(build_id, given.revision, step, said)


@router.post("/builds/{build_id}/trims/take", response_model=OpenBuild)
def take_off(session: TheSession, build_id: str, given: TakeTrim) -> Response:
    """Take a trim off."""
    return session.step(
        build_id, given.revision, lambda at: take_trim(at.build, given.key, at.unit), "A trim taken off"
    )


class TrimMarks(Sent):
    """Trim lines that are marked on the brief's pictures, as they would lie on the garment."""

    marks: list[TrimMark]


@router.get("/builds/{build_id}/trims/marks", response_model=TrimMarks)
def show_marks(session: TheSession, build_id: str) -> Response:
    """Every trim line of the brief's pictures: where it would lie, or why that can't be told."""
    at = session.at_hand(build_id)
    return session.answer(TrimMarks(marks=list(trim_marks(at.build, at.planned))))


@router.get("/builds/{build_id}/trims/room", response_model=FreeRooms)
def show_room(
    session: TheSession,
    build_id: str,
    wide: Annotated[str, Query(max_length=20)] = "4 cm",
    high: Annotated[str, Query(max_length=20)] = "4 cm",
) -> Response:
    """What is free between the hardware, and on which panels a motif has room."""
    sizes = {"wide": wide, "high": high}
    found = {}
    for name, text in sizes.items():
        try:
            found[name] = parse_length(text, session.unit)
        except LengthError:
            found[name] = -1.0
        if not 5 <= found[name] <= 600:
            raise Unmakeable(name, "trim.motif_size")
    at = session.at_hand(build_id)
    rooms, fits = free_of(at.planned, found["wide"], found["high"])
    return session.answer(FreeRooms(rooms=list(rooms), fits=list(fits)))
