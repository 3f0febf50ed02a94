"""Routes of the bones: schools side by side, cutting, the catalogue, the strip at 1:1."""

from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.session import TROUBLES, TheSession, file_answer
from fuseau.app.wire import KeepKind, OnRevision, OpenBuild
from fuseau.commands.bones import cut_bones, keep_kind
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.files.paper import Paper
from fuseau.planning.schools import SchoolEffect

router = APIRouter(prefix="/api", responses=TROUBLES)


@router.get("/builds/{build_id}/bones/schools")
def compare_schools(session: TheSession, build_id: str) -> list[SchoolEffect]:
    """The schools of boning side by side. About half a second."""
    return session.schools(build_id, session.at_hand(build_id).build)


@router.get("/builds/{build_id}/bones/cutting")
def plan_cutting(session: TheSession, build_id: str) -> list[CuttingPlan]:
    """How the bones are cut from the shelf and from what is sold, kind by kind."""
    return session.cutting(session.at_hand(build_id))


@router.post("/builds/{build_id}/bones/cut", response_model=OpenBuild)
def bones_are_cut(session: TheSession, build_id: str, on: OnRevision) -> Response:
    """Write the bones down as cut: later changes are held against them."""
    return session.step(build_id, on.revision, lambda at: cut_bones(at.build, at.planned), "Bones cut")


@router.put("/builds/{build_id}/catalogue/bones", response_model=OpenBuild)
def keep_bone_kind(session: TheSession, build_id: str, given: KeepKind) -> Response:
    """Keep a kind of bone in the build's catalogue: a new one, or another version of the one it names."""
    kind = given.kind.model_dump(mode="json", exclude_unset=True)
    label = f"Catalogue: {kind.get('label') or 'a bone'}"
    return session.step(build_id, given.revision, lambda at: keep_kind(at.build, kind, at.unit), label)


@router.get("/builds/{build_id}/bones.pdf", response_class=Response)
def print_bones(
    session: TheSession, build_id: str, paper: Annotated[Paper, Query()] = "a4", mock_up: bool = False
) -> Response:
    """Every bone at 1:1 with its label; for the mock-up as cable ties."""
    from fuseau.files.strips import bones_pdf

    at = session.drafted(build_id)
    ending = f"-{'mock-up-bones' if mock_up else 'bones'}-{paper}.pdf"
    content = bones_pdf(at.build, at.planned, paper, at.unit, mock_up=mock_up)
    return file_answer(content, "application/pdf", at.build, ending)
