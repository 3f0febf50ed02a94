"""Routes of the cut: every piece of every ply, how a cloth is laid on what there is, and cloths that are cut."""

import datetime
from collections.abc import Mapping
from typing import Annotated, Literal

from fastapi import APIRouter, Path, Query
from fastapi.responses import Response

from fuseau.app.file_names import file_answer
from fuseau.app.json_route import JsonRoute
from fuseau.app.session import AtHand, Session, TheSession, TheWorkers
from fuseau.app.shelf import on_shelf
from fuseau.app.wire import OnRevision, OpenBuild
from fuseau.app.wire_shelf import ClothLaid, CutAsSeen, PinPieces, TakeWay
from fuseau.app.work import find_ways_out, lay_cloth, look_at_shelf, print_layout
from fuseau.commands.cut import cut_cloth, not_cut, pin, take_way
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.layout.at_hand import Laying, check_pinned, fallen
from fuseau.document.build import Build
from fuseau.files.paper import Paper
from fuseau.planning.asked.by_shelf import ByShelf
from fuseau.planning.asked.ways_out import WaysOut
from fuseau.planning.stages.cut import CutPlan, Use, lay_ask, plan_cut, to_buy_mm, uses_of
from fuseau.store.workshop import Opened

router = APIRouter(prefix="/api", route_class=JsonRoute)
_SEEN_MM = 0.5
ClothPath = Annotated[str, Path(max_length=40)]


@router.get("/builds/{build_id}/cut", response_model=CutPlan)
def read_cut(session: TheSession, build_id: str) -> Response:
    """Every piece of every ply by its cloth, and what is bound and taped."""
    at = session.at_hand(build_id)
    return session.answer(plan_cut(at.build, at.planned))


@router.get("/builds/{build_id}/cut/{cloth}", response_model=ClothLaid)
def lay_out(
    session: TheSession,
    workers: TheWorkers,
    build_id: str,
    cloth: ClothPath,
    seconds: Annotated[int, Query(ge=0, le=60)] = 3,
) -> Response:
    """The pieces of a cloth on what of it is at hand, and on new cloth: as closely as is found in so many seconds.

    In no time (0) one order of the pieces is tried. It can be stopped as a question.
    """
    opened, shelf = session.workshop.open(build_id), session.shelf.open().shelf
    laying = _laying(session, workers, opened, cloth, seconds)
    at_hand = [
        on_shelf(shelf, piece, build_id)
        for piece, _ in shelf.for_build(build_id)
        if piece.sort == "cloth" and piece.name == cloth
    ]
    beside = _beside(session, build_id, opened.build, cloth)
    uses = uses_of(laying, beside, shelf.lengths)
    return session.answer(ClothLaid(laying=laying, to_buy_mm=to_buy_mm(laying, beside), uses=uses, at_hand=at_hand))


@router.get("/builds/{build_id}/by-shelf", response_model=ByShelf)
def read_by_shelf(session: TheSession, workers: TheWorkers, build_id: str) -> Response:
    """Which busk, bones, hem and panels could be had from the shelf. Some seconds; it can be stopped."""
    opened, shelf = session.workshop.open(build_id), session.shelf.open()
    at_hand, today = list(shelf.shelf.for_build(build_id)), datetime.date.today()
    asked = opened.revision, shelf.revision, session.unit
    found = workers.think(
        build_id, "by shelf", asked, look_at_shelf, build_id, opened.build, session.unit, at_hand, today
    )
    return session.answer(found)


@router.get("/builds/{build_id}/cut/{cloth}/ways", response_model=WaysOut)
def read_ways(session: TheSession, workers: TheWorkers, build_id: str, cloth: ClothPath) -> Response:
    """What would help where a cloth is not enough, alone and in pairs. Up to twenty seconds; it can be stopped."""
    opened, shelf = session.workshop.open(build_id), session.shelf.open()
    at_hand = list(shelf.shelf.for_build(build_id))
    today, unit = datetime.date.today(), session.unit
    asked = opened.revision, shelf.revision, unit, cloth
    found = workers.think(build_id, "ways", asked, find_ways_out, build_id, opened.build, unit, cloth, at_hand, today)
    return session.answer(found)


@router.post("/builds/{build_id}/cut/{cloth}/ways", response_model=OpenBuild)
def take_a_way(session: TheSession, build_id: str, cloth: ClothPath, given: TakeWay) -> Response:
    """Take a way out: it becomes a decision of the build, and can be undone as one."""
    edits = [edit.model_dump(mode="json", exclude_unset=True) for edit in given.edits]

    def step(at: AtHand) -> Build:
        return take_way(at.build, given.changes, edits, at.today, at.unit)

    return session.step(build_id, given.revision, step, given.label or f"A way out for {cloth}")


@router.put("/builds/{build_id}/cut/{cloth}/pinned", response_model=OpenBuild)
def pin_pieces(session: TheSession, build_id: str, cloth: ClothPath, given: PinPieces) -> Response:
    """Pieces of a cloth that stay where she put them; the rest is laid round them."""
    label = "A piece put down" if given.pinned else "All pieces laid anew"
    at_hand = list(session.shelf.open().shelf.for_build(build_id))

    def step(at: AtHand) -> Build:
        old = fallen(lay_ask(at.build, at.planned, cloth, at_hand, 1))
        changed = pin(at.build, cloth, [pinned for pinned in given.pinned if pinned not in old], at.unit)
        check_pinned(lay_ask(changed, at.planned, cloth, at_hand, 1))
        return changed

    return session.step(build_id, given.revision, step, label)


@router.post("/builds/{build_id}/cut/{cloth}/done", response_model=OpenBuild)
def cloth_is_cut(
    session: TheSession, workers: TheWorkers, build_id: str, cloth: ClothPath, seen: CutAsSeen
) -> Response:
    """A cloth is cut as it was seen: what it was cut from is off the shelf, what is left of that is on it.

    Refused where it is laid otherwise by now.
    """
    opened = session.workshop.open(build_id)
    laying = _laying(session, workers, opened, cloth, 0)
    beside = _beside(session, build_id, opened.build, cloth)
    shelf = session.shelf.open().shelf
    if not _as_seen(seen, uses_of(laying, beside, shelf.lengths), to_buy_mm(laying, beside)):
        raise Unmakeable("cut", "cut.laid_otherwise")

    def step(at: AtHand) -> Build:
        return cut_cloth(
            build=at.build, cloth=cloth, laying=laying, beside_mm=beside, shelf=shelf, build_id=build_id, today=at.today
        )

    return session.step_with_shelf(build_id, seen.revision, step, f"Cut: {_label(opened.build, cloth)}")


def _as_seen(seen: CutAsSeen, uses: Mapping[str, Use], bought_mm: float) -> bool:
    """Whether a cloth is laid as it was when she looked."""
    same = seen.uses.keys() == uses.keys() and abs(seen.to_buy_mm - bought_mm) < _SEEN_MM
    return same and all(abs(seen.uses[key].amount - uses[key].amount) < _SEEN_MM for key in uses)


@router.post("/builds/{build_id}/cut/{cloth}/not-done", response_model=OpenBuild)
def cloth_is_not_cut(session: TheSession, build_id: str, cloth: ClothPath, on: OnRevision) -> Response:
    """A cloth is not cut after all: its rests are off the shelf, what it was cut from is on it again."""
    label = _label(session.workshop.open(build_id).build, cloth)
    said = f"Not cut after all: {label}"
    return session.step_with_shelf(build_id, on.revision, lambda at: not_cut(at.build, cloth), said)


@router.get("/builds/{build_id}/cut/{cloth}/layout.{how}", response_class=Response)
def print_laid(
    session: TheSession,
    workers: TheWorkers,
    build_id: str,
    cloth: ClothPath,
    how: Literal["pdf", "svg"],
    paper: Annotated[Paper, Query()] = "a4",
) -> Response:
    """A cloth as it is laid out: a page for each sheet with where every piece lies, or a drawing at 1:1."""
    from fuseau.files.layouts import LaidCloth

    opened, shelf = session.workshop.open(build_id), session.shelf.open().shelf
    build = opened.build
    laying = _laying(session, workers, opened, cloth, 0)
    names = {piece.id: piece.where or piece.label for piece in shelf.pieces}
    version = build.current.number if build.current else None
    laid = LaidCloth(build=build.brief.name, version=version, cloth=_label(build, cloth), laying=laying, names=names)
    content = workers.make(print_layout, laid, how, paper, session.unit)
    media = {"pdf": "application/pdf", "svg": "image/svg+xml"}[how]
    return file_answer(content, media, build, f"-{cloth}-laid-out.{how}")


def _label(build: Build, cloth: str) -> str:
    """How a cloth is called. Raises Unmakeable for one that is in no catalogue."""
    if cloth not in build.cloths:
        raise Unmakeable("layers.plies", "cut.no_such_cloth")
    return build.cloths[cloth].label


def _laying(session: Session, workers: TheWorkers, opened: Opened, cloth: str, seconds: int) -> Laying:
    shelf = session.shelf.open()
    at_hand = list(shelf.shelf.for_build(opened.id))
    asked = opened.revision, shelf.revision, session.unit, cloth, seconds
    return workers.think(opened.id, "marker", asked, lay_cloth, opened.id, opened.build, cloth, at_hand, seconds)


def _beside(session: Session, build_id: str, build: Build, cloth: str) -> float:
    cloths = plan_cut(build, session.plan(build_id, build)).cloths
    return next((one.beside_mm for one in cloths if one.cloth == cloth), 0.0)
