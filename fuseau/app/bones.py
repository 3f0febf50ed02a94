"""Routes of bones, front and back: schools side by side, cutting, the catalogue, and what is printed at 1:1."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.answering import TROUBLES, TheDesk, file_answer, kept, makeable
from fuseau.app.printing import drafted
from fuseau.app.wire import KeepKind, OnRevision, OpenBuild
from fuseau.commands.bones import cut_bones, keep_kind
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.files.paper import Paper
from fuseau.planning.schools import SchoolEffect

router = APIRouter(prefix="/api", responses=TROUBLES)


@router.get("/builds/{build_id}/bones/schools")
def compare_schools(desk: TheDesk, build_id: str) -> list[SchoolEffect]:
    """The schools of boning side by side. About half a second."""
    return desk.schools(build_id, desk.workshop.open(build_id).build)


@router.get("/builds/{build_id}/bones/cutting")
def plan_cutting(desk: TheDesk, build_id: str) -> list[CuttingPlan]:
    """How the bones are cut from the shelf and from what is sold, kind by kind."""
    return desk.cutting(build_id, desk.workshop.open(build_id).build)


@router.post("/builds/{build_id}/bones/cut", response_model=OpenBuild)
def bones_are_cut(desk: TheDesk, build_id: str, on: OnRevision) -> Response:
    """Write the bones down as cut: later changes are held against them."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, on.revision)
    build = cut_bones(opened.build, desk.plan(build_id, opened.build))
    return kept(desk, build_id, on.revision, build, "Bones cut", makeable(desk, opened, build))


@router.put("/builds/{build_id}/catalogue/bones", response_model=OpenBuild)
def keep_bone_kind(desk: TheDesk, build_id: str, given: KeepKind) -> Response:
    """Keep a kind of bone in the build's catalogue: a new one, or another version of the one it names."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, given.revision)
    build = keep_kind(opened.build, given.kind, desk.unit)
    label = f"Catalogue: {given.kind.get('label') or 'a bone'}"
    return kept(desk, build_id, given.revision, build, label, makeable(desk, opened, build))


@router.get("/builds/{build_id}/bones.pdf", response_class=Response)
def print_bones(
    desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4", mock_up: bool = False
) -> Response:
    """Every bone at 1:1 with its label; for the mock-up as cable ties."""
    from fuseau.files.strips import bones_pdf

    build, planned = drafted(desk, build_id)
    ending = f"-{'mock-up-bones' if mock_up else 'bones'}-{paper}.pdf"
    return file_answer(bones_pdf(build, planned, paper, desk.unit, mock_up=mock_up), "application/pdf", build, ending)


@router.get("/builds/{build_id}/front.pdf", response_class=Response)
def print_front(desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """Both sides of what opens the front at 1:1: where to sew and leave, knob holes, hooks, the ends of a zip."""
    from fuseau.files.strips import front_pdf

    build, planned = drafted(desk, build_id)
    return file_answer(front_pdf(build, planned, paper, desk.unit), "application/pdf", build, f"-front-{paper}.pdf")


@router.get("/builds/{build_id}/holes.pdf", response_class=Response)
def print_holes(desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """The punching strip at 1:1: fold, holes and waist, the same for both sides."""
    from fuseau.files.strips import holes_pdf

    build, planned = drafted(desk, build_id)
    return file_answer(holes_pdf(build, planned, paper, desk.unit), "application/pdf", build, f"-holes-{paper}.pdf")
