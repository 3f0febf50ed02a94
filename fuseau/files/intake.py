"""Taking in a build's file: read, its pictures decoded like any other, and planned through to an answer."""

import base64
import binascii
import hashlib
from collections.abc import Collection, Mapping
from dataclasses import dataclass
from typing import Any, TypeVar

from fuseau.craft.layout.marker import NEW_CLOTH
from fuseau.craft.making.record_choices import Photo
from fuseau.document.build import Build, Picture
from fuseau.document.fittings import BackPhoto
from fuseau.document.shelf import brought_over
from fuseau.files.document import build_in, data_in
from fuseau.files.pictures import DecodedPicture, decode_picture
from fuseau.files.unreadable import UnreadableFile
from fuseau.planning.pipeline import plan
from fuseau.planning.thread import thread

PictureOrPhoto = TypeVar("PictureOrPhoto", Picture, BackPhoto, Photo)


@dataclass(frozen=True)
class TakenIn:
    """A build from a file, the pictures that come with it, and the names of those that could not be used.

    `shelf` is what an older file had set aside on a shelf of its own.
    """

    build: Build
    pictures: tuple[DecodedPicture, ...]
    left_out: tuple[str, ...]
    shelf: tuple[dict[str, Any], ...] = ()


def take_in(content: bytes, known: Collection[str] = ()) -> TakenIn:
    """A build's file as it will be kept; also one that a card carries.

    A picture is decoded and written anew, so that nothing that hides in its bytes comes along; the build then names it
    by its new id. Pictures whose ids are `known` are here already. Raises UnreadableFile for a file that is no usable
    build, also for one that cannot be planned to an answer: a plan, or why it can't be made.
    """
    if content.startswith(b"%PDF"):
        from fuseau.files.card import build_of_card

        content = build_of_card(content)
    data = data_in(content)
    build = build_in(data)
    pictures, left_out = _pictures(build, _attached(data), known)
    build = away_from_its_shelf(_with_pictures(build, pictures))
    check_answer(build)
    return TakenIn(build, tuple(pictures.values()), left_out, tuple(brought_over(data, "x")[0]))


def away_from_its_shelf(build: Build) -> Build:
    """A build in another workshop, or beside the one it was copied from: what it was cut from does not lie here.

    Pieces that were put down on cloth of that shelf, and cloth that was left aside there, are forgotten.
    """
    pinned = {cloth: tuple(pin for pin in pins if pin.sheet == NEW_CLOTH) for cloth, pins in build.cut.pinned.items()}
    kept = {cloth: pins for cloth, pins in pinned.items() if pins}
    cut = build.cut.model_copy(update={"pinned": kept, "leave": (), "done": {}})
    return build if cut == build.cut else build.model_copy(update={"cut": cut})


def check_answer(build: Build) -> None:
    """A build is planned to an answer. Raises UnreadableFile, which names what failed and holds no measure."""
    try:
        thread(build, plan(build))
    except Exception as error:
        raise UnreadableFile(
            f"This build reads well, but Fuseau fails to work it out ({type(error).__name__}). That is a "
            "fault of Fuseau's: nothing was kept, and the file is as it was."
        ) from error


def _attached(data: Mapping[str, Any]) -> dict[str, bytes]:
    """The bytes of pictures by id; what is damaged or not what its id says is left out."""
    found = {}
    attached = data.get("attached")
    for name, text in attached.items() if isinstance(attached, dict) else ():
        try:
            picture = base64.b64decode(text, validate=True)
        except (binascii.Error, ValueError, TypeError):
            continue
        if hashlib.sha256(picture).hexdigest() == name:
            found[name] = picture
    return found


def _pictures(
    build: Build, attached: Mapping[str, bytes], known: Collection[str]
) -> tuple[dict[str, DecodedPicture], tuple[str, ...]]:
    decoded: dict[str, DecodedPicture] = {}
    left_out = []
    for picture in build.pictures:
        if picture.id in known or picture.id in decoded:
            continue
        try:
            decoded[picture.id] = decode_picture(attached.get(picture.id, b""))
        except UnreadableFile:
            left_out.append(picture.name or "a picture without a name")
    return decoded, tuple(left_out)


def _with_pictures(build: Build, pictures: Mapping[str, DecodedPicture]) -> Build:
    """The build with its pictures as they were decoded."""
    if not pictures:
        return build

    def as_decoded(photo: PictureOrPhoto) -> PictureOrPhoto:
        new = pictures.get(photo.id)
        if new is None:
            return photo
        return photo.model_copy(update={"id": new.id, "width_px": new.width_px, "height_px": new.height_px})

    chosen = pictures.get(build.brief.chosen_sketch or "")
    brief = build.brief.model_copy(
        update={
            "pictures": tuple(map(as_decoded, build.brief.pictures)),
            "chosen_sketch": chosen.id if chosen else build.brief.chosen_sketch,
        }
    )
    fittings = tuple(
        fitting.model_copy(update={"photos": tuple(map(as_decoded, fitting.photos))}) for fitting in build.fittings
    )
    log = tuple(entry.model_copy(update={"photos": tuple(map(as_decoded, entry.photos))}) for entry in build.make.log)
    make = build.make.model_copy(update={"log": log})
    record = build.record.model_copy(update={"photos": tuple(map(as_decoded, build.record.photos))})
    return build.model_copy(update={"brief": brief, "fittings": fittings, "make": make, "record": record})
