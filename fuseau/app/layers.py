"""Routes of the layers: plies put in, taken out and moved, and cloths of her own."""

from fastapi import APIRouter
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute
from fuseau.app.session import TheSession
from fuseau.app.wire import KeepCloth, MovePly, OpenBuild, PutPly, TakePly
from fuseau.commands.layers import keep_cloth, move_ply, put_ply, take_ply

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.post("/builds/{build_id}/plies", response_model=OpenBuild)
def put_in(session: TheSession, build_id: str, given: PutPly) -> Response:
    """Put a ply in where such a ply lies, of the cloth that usually does this."""
    role = given.role
    return session.step(build_id, given.revision, lambda at: put_ply(at.build, role, at.unit), f"A ply more: {role}")


@router.post("/builds/{build_id}/plies/take", response_model=OpenBuild)
def take_out(session: TheSession, build_id: str, given: TakePly) -> Response:
    """Take a ply out, by its place from the skin out."""
    return session.step(build_id, given.revision, lambda at: take_ply(at.build, given.at, at.unit), "A ply taken out")


@router.post("/builds/{build_id}/plies/move", response_model=OpenBuild)
def move(session: TheSession, build_id: str, given: MovePly) -> Response:
    """Move a ply one place further out or in."""
    label = f"A ply moved {'out' if given.outward else 'in'}"
    return session.step(
        build_id, given.revision, lambda at: move_ply(at.build, given.at, given.outward, at.unit), label
    )


@router.put("/builds/{build_id}/catalogue/cloths", response_model=OpenBuild)
def keep_own_cloth(session: TheSession, build_id: str, given: KeepCloth) -> Response:
    """Keep a cloth in the build's catalogue: a new one, or another version of the one it names."""
    cloth = given.cloth.model_dump(mode="json", exclude_unset=True)
    label = f"Catalogue: {cloth.get('label') or 'a cloth'}"
    answer = session.step(build_id, given.revision, lambda at: keep_cloth(at.build, cloth, at.unit, given.ply), label)
    session.learn_catalogue(build_id, given.revision, label)
    return answer
