"""Routes of the devices in the room, for the laptop alone, and of what changes, for every open page."""

import datetime
import io
import time
from typing import Annotated

from fastapi import APIRouter, Depends, Header, Query, Request
from fastapi.responses import Response, StreamingResponse

from fuseau.app.json_route import JsonRoute
from fuseau.app.room_server import RoomServer
from fuseau.app.session import TheSession
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Sent
from fuseau.room.codes import LIVES_S
from fuseau.room.devices import Device, PutOutForNow

router = APIRouter(prefix="/api", route_class=JsonRoute)


def _room(request: Request) -> RoomServer:
    server: RoomServer = request.app.state.room
    return server


TheRoom = Annotated[RoomServer, Depends(_room)]


class RoomState(Sent):
    """Whether the room is open, where devices find it, how its certificate is known, and who is let in.

    `certificate_anew`: the one before was damaged, so that devices will ask once more whether to trust it.
    """

    open: bool
    urls: list[str]
    fingerprint: str
    certificate_anew: bool
    devices: list[Device]


class RoomCode(Sent):
    """A code that lets one device in: as text, as the address with it, as a QR code in SVG, and until when."""

    code: str
    url: str
    qr: str
    until: datetime.datetime


def _state(room: RoomServer) -> RoomState:
    certificate = room.certificate if room.open else None
    return RoomState(
        open=room.open,
        urls=list(room.urls),
        fingerprint=certificate.fingerprint if certificate else "",
        certificate_anew=certificate is not None and certificate.instead_of_damaged,
        devices=room.devices.listed(),
    )


@router.get("/room")
def read_room(room: TheRoom) -> RoomState:
    """Whether other devices can come in, and which are let in."""
    return _state(room)


@router.put("/room/open")
def open_room(request: Request, room: TheRoom) -> RoomState:
    """Open the room to this machine's network."""
    room.start(request.app)
    return _state(room)


@router.delete("/room/open")
def close_room(room: TheRoom) -> RoomState:
    """Close it again."""
    room.stop()
    return _state(room)


@router.post("/room/code", status_code=201)
def make_code(room: TheRoom) -> RoomCode:
    """A code for one device; the one before is good no more."""
    import segno

    if not room.open:
        raise Unmakeable("room", "room.closed")
    code = room.codes.make(time.monotonic())
    url = f"{room.urls[0]}/enter/{code.text}"
    drawn = io.BytesIO()
    segno.make(url, error="m").save(
        drawn, kind="svg", scale=5, border=2, dark="#1d2733", light="#ffffff", xmldecl=False
    )
    until = datetime.datetime.now(datetime.UTC) + datetime.timedelta(seconds=LIVES_S)
    return RoomCode(code=code.text, url=url, qr=drawn.getvalue().decode(), until=until)


@router.delete("/room/devices/{device_id}")
def put_out(room: TheRoom, session: TheSession, device_id: str) -> RoomState:
    """Put a device out: its key is good no more."""
    try:
        there = room.devices.put_out(device_id)
    except PutOutForNow:
        session.news.tell("devices")
        raise Unmakeable("room", "room.out_for_now") from None
    if not there:
        raise Unmakeable("room", "room.no_device")
    session.news.tell("devices")  # whoever was put out is cut off at this
    return _state(room)


@router.get("/events", response_class=StreamingResponse)
def listen(
    session: TheSession,
    after: Annotated[int | None, Query(ge=0, le=2**53)] = None,
    last_event_id: Annotated[str, Header(max_length=20)] = "",
) -> Response:
    """What changes, as it happens: `build` with its id and revision, `photo` with the build that it is of.

    `after` the number of what was heard last, what was missed comes first; `begin` says whether that is all of it.
    """
    heard = int(last_event_id) if last_event_id.isascii() and last_event_id.isdigit() else after
    return StreamingResponse(
        session.news.listen(heard),
        media_type="text/event-stream",
        headers={"cache-control": "no-store", "x-accel-buffering": "no"},
    )
