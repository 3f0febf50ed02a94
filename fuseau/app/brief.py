"""Routes of pictures: references and sketches of a brief."""

from typing import Literal

from fastapi import APIRouter, Query, Request
from fastapi.responses import Response

from fuseau.app.answering import TROUBLES, TheDesk, kept
from fuseau.app.wire import OpenBuild
from fuseau.craft.base.errors import Unmakeable
from fuseau.document.build import Picture
from fuseau.files.pictures import decode_picture
from fuseau.store.pictures import KeptPicture
from fuseau.store.workshop import NoSuchBuild

router = APIRouter(prefix="/api", responses=TROUBLES)
_MOST = 16


@router.post("/builds/{build_id}/pictures", response_model=OpenBuild)
async def add_picture(
    desk: TheDesk,
    build_id: str,
    request: Request,
    revision: int,
    name: str = Query(default="", max_length=200),
    role: Literal["reference", "sketch"] = "reference",
) -> Response:
    """Add a picture to the brief, sent as the body."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, revision)
    brief = opened.build.brief
    decoded = decode_picture(await request.body(), name)
    if any(picture.id == decoded.id for picture in brief.pictures):
        raise Unmakeable("brief.pictures", "This picture is here already.")
    if len(brief.pictures) >= _MOST:
        raise Unmakeable("brief.pictures", f"{_MOST} pictures are the most for one brief: take one out first.")
    desk.pictures.keep(KeptPicture(**decoded.__dict__))
    picture = Picture(
        id=decoded.id,
        name=name.rsplit(".", 1)[0][:120],
        role=role,
        width_px=decoded.width_px,
        height_px=decoded.height_px,
    )
    brief = brief.model_copy(update={"pictures": (*brief.pictures, picture)})
    build = opened.build.model_copy(update={"brief": brief})
    return kept(desk, build_id, revision, build, f"{role.capitalize()} {picture.name or 'picture'} added".strip())


@router.get("/pictures/{picture_id}", response_class=Response)
def show_picture(desk: TheDesk, picture_id: str) -> Response:
    """The bytes of a picture."""
    found = desk.pictures.open(picture_id)
    if found is None:
        raise NoSuchBuild("This picture is not in the workshop.")
    return Response(
        found.content, media_type=found.media, headers={"cache-control": "private, max-age=31536000, immutable"}
    )
