"""Routes of the brief: pictures, references and sketches."""

from typing import Literal

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute, TheFile
from fuseau.app.session import AtHand, TheSession, TheWorkers
from fuseau.app.wire import OpenBuild, Revision
from fuseau.commands.brief import add_picture
from fuseau.craft.base.record import Sent
from fuseau.document.build import Build, Picture
from fuseau.files.pictures import decode_picture
from fuseau.planning.pictures.drawn import DrawnRead, read_drawn, read_together
from fuseau.planning.pictures.lines import PictureLines, picture_lines
from fuseau.planning.worn.on_body import inputs_of
from fuseau.store.pictures import KeptPicture
from fuseau.store.workshop import NoSuchBuild

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.post("/builds/{build_id}/pictures", response_model=OpenBuild)
def take_picture(
    session: TheSession,
    build_id: str,
    workers: TheWorkers,
    body: TheFile,
    revision: Revision,
    name: str = Query(default="", max_length=200),
    role: Literal["reference", "sketch"] = "reference",
) -> Response:
    """Add a picture to the brief, sent as the body."""
    decoded = workers.read(decode_picture, body, name)
    picture = Picture(
        id=decoded.id,
        name=name.rsplit(".", 1)[0][:120],
        role=role,
        width_px=decoded.width_px,
        height_px=decoded.height_px,
    )

    def decide(at: AtHand) -> Build:
        build = add_picture(at.build, picture)
        session.pictures.keep(KeptPicture(**decoded.__dict__))
        return build

    return session.step(build_id, revision, decide, f"{role.capitalize()} {picture.name or 'picture'} added".strip())


class DrawnSeen(Sent):
    """Every picture of a brief on which widths are marked, read against the wearer."""

    pictures: list[DrawnRead]


@router.get("/builds/{build_id}/drawn", response_model=DrawnSeen)
def read_pictures(session: TheSession, build_id: str) -> Response:
    """What the pictures ask of the wearer, and three ways to come near each."""
    at = session.at_hand(build_id)
    read = [read_drawn(at.build, at.planned, picture) for picture in at.build.brief.pictures]
    read.insert(0, read_together(at.build, at.planned))
    return session.answer(DrawnSeen(pictures=[one for one in read if one is not None]))


class LinesSeen(Sent):
    """The lines of every picture on which something is marked, both ways."""

    pictures: list[PictureLines]


@router.get("/builds/{build_id}/lines", response_model=LinesSeen)
def read_lines(session: TheSession, build_id: str) -> Response:
    """Lines marked on pictures as lines of the garment, and the garment's lines back on them."""
    at = session.at_hand(build_id)
    inputs = inputs_of(at.build, at.planned)
    read = (
        [picture_lines(at.build, at.planned, inputs, picture) for picture in at.build.brief.pictures] if inputs else []
    )
    return session.answer(LinesSeen(pictures=[one for one in read if one is not None]))


@router.get("/pictures/{picture_id}", response_class=Response)
def show_picture(session: TheSession, picture_id: str) -> Response:
    """The bytes of a picture."""
    found = session.pictures.open(picture_id)
    if found is None:
        raise NoSuchBuild("This picture is not in the workshop.")
    return Response(
        found.content, media_type=found.media, headers={"cache-control": "private, max-age=31536000, immutable"}
    )
