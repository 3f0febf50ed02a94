"""Routes of the bones: schools side by side, cutting, the catalogue, the strip at 1:1."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute
from fuseau.app.printing import printed
from fuseau.app.session import AtHand, Session, TheSession, TheWorkers
from fuseau.app.wire import KeepKind, OnRevision, OpenBuild
from fuseau.app.work import compare_schools, cut_stock
from fuseau.app.workers import Workers
from fuseau.commands.bones import cut_bones, keep_kind, uncut_bones
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.document.build import Build
from fuseau.files.paper import Paper
from fuseau.planning.asked.schools import SchoolEffect

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.get("/builds/{build_id}/bones/schools")
def read_schools(session: TheSession, workers: TheWorkers, build_id: str) -> list[SchoolEffect]:
    """The schools of boning side by side. About half a second."""
    opened = session.workshop.open(build_id)
    return workers.think(build_id, "schools", opened.revision, compare_schools, build_id, opened.build)


@router.get("/builds/{build_id}/bones/cutting")
def read_cutting(session: TheSession, workers: TheWorkers, build_id: str) -> list[CuttingPlan]:
    """How the bones are cut from the shelf and from what is sold, kind by kind."""
    return _cutting(session, workers, build_id)


def _cutting(session: Session, workers: Workers, build_id: str) -> list[CuttingPlan]:
    opened = session.workshop.open(build_id)
    shelf = session.shelf.open()
    at_hand = list(shelf.shelf.for_build(build_id))
    asked = opened.revision, shelf.revision
    return workers.think(build_id, "cutting", asked, cut_stock, build_id, opened.build, at_hand)


@router.post("/builds/{build_id}/bones/cut", response_model=OpenBuild)
def bones_are_cut(session: TheSession, workers: TheWorkers, build_id: str, on: OnRevision) -> Response:
    """Write the bones down as cut: later changes are held against them, and what they were cut from is used up."""
    shelf = session.shelf.open().shelf
    again = bool(
        session.workshop.open(build_id).build.bones.cut
    )  # those that there are are cut down: no piece is begun
    plans = [] if again else _cutting(session, workers, build_id)

    def step(at: AtHand) -> Build:
        return cut_bones(at.build, at.planned, plans, shelf, build_id, at.today)

    return session.step_with_shelf(build_id, on.revision, step, "Bones cut")


@router.post("/builds/{build_id}/bones/uncut", response_model=OpenBuild)
def bones_are_not_cut(session: TheSession, build_id: str, on: OnRevision) -> Response:
    """The bones are not cut after all: what they were cut from lies on the shelf again."""
    return session.step_with_shelf(build_id, on.revision, lambda at: uncut_bones(at.build), "Bones not cut")


@router.put("/builds/{build_id}/catalogue/bones", response_model=OpenBuild)
def keep_bone_kind(session: TheSession, build_id: str, given: KeepKind) -> Response:
    """Keep a kind of bone in the build's catalogue: a new one, or another version of the one it names."""
    kind = given.kind.model_dump(mode="json", exclude_unset=True)
    label = f"Catalogue: {kind.get('label') or 'a bone'}"
    answer = session.step(build_id, given.revision, lambda at: keep_kind(at.build, kind, at.unit), label)
    session.learn_catalogue(build_id, given.revision, label)
    return answer


@router.get("/builds/{build_id}/bones.pdf", response_class=Response)
def print_bones(
    session: TheSession,
    workers: TheWorkers,
    build_id: str,
    paper: Annotated[Paper, Query()] = "a4",
    mock_up: bool = False,
) -> Response:
    """Every bone at 1:1 with its label; for the mock-up as cable ties."""
    return printed(session, workers, build_id, "mock-up-bones.pdf" if mock_up else "bones.pdf", paper)
