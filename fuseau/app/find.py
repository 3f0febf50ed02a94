"""Route of the search over all of the workshop."""

from collections.abc import Iterator
from typing import Annotated

from fastapi import APIRouter, Query

from fuseau.app.json_route import JsonRoute
from fuseau.app.session import Session, TheSession
from fuseau.planning.workshop.find import Place, find_places
from fuseau.store.workshop import UnreadableBuild

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.get("/find")
def find_anywhere(session: TheSession, words: Annotated[str, Query(max_length=120)] = "") -> list[Place]:
    """Builds, wearers, pieces on the shelf and finished garments in which every word stands."""
    return find_places(_places(session), words)


def _places(session: Session) -> Iterator[Place]:
    rests: dict[str, str] = {}  # the build that rests on a wearer
    for archived in (False, True):
        for line in session.workshop.listed(archived):
            try:
                build = session.workshop.open(line.id).build
            except UnreadableBuild:
                yield Place(kind="build", name=line.name, id=line.id)
                continue
            if build.measuring is not None:
                rests.setdefault(build.measuring.wearer_id, line.id)
            brief = build.brief
            about = [build.kind, brief.character, f"for {build.wearer.name}" if build.wearer.name else ""]
            done = build.record.finished_on is not None
            yield Place(
                kind="card" if done else "build",
                name=brief.name,
                about=", ".join(part for part in about if part) + (", put away" if archived else ""),
                id=line.id,
                more=" ".join((brief.note, *(picture.name for picture in brief.pictures))),
            )
    for wearer in session.book.wearers():
        yield Place(kind="wearer", name=wearer.name, about="in the book", id=wearer.id, build=rests.get(wearer.id, ""))
    for piece in session.shelf.open().shelf.pieces:
        about = [piece.sort, piece.where, piece.note]
        yield Place(kind="shelf", name=piece.label, about=", ".join(part for part in about if part), id=piece.id)
