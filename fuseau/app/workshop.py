"""The routes. Each parses, calls the desk, the store or a decision, and answers."""

from fastapi import APIRouter, Request
from fastapi.responses import Response

from fuseau.app.answering import TROUBLES, TheDesk, answer, kept, makeable
from fuseau.app.labels import label_of
from fuseau.app.wire import (
    Catalogue,
    Choice,
    House,
    HouseNumber,
    LevelInfo,
    Line,
    NewBuild,
    OnRevision,
    OpenBuild,
    Past,
    Restoring,
    SetFields,
    Trial,
)
from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.craft.base.practice import Practice
from fuseau.craft.materials.catalogue import BONES, BUSKS, CLOTHS, GROMMETS, LACES
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import HOW_TO_MEASURE, LEVEL_LABELS, ZERO_LABELS, sign_of, zero_of
from fuseau.document.build import Brief, Build
from fuseau.files.document import read_attached, read_document
from fuseau.planning.plan import Plan

router = APIRouter(prefix="/api", responses=TROUBLES)


# --- the workshop


@router.get("/builds")
def list_builds(desk: TheDesk, archived: bool = False) -> list[Line]:
    """Builds by the day they are needed."""
    return [desk.line(opened) for opened in desk.workshop.builds(archived)]


@router.post("/builds", status_code=201)
def make_build(desk: TheDesk, new: NewBuild) -> Line:
    """Make an empty build."""
    build = Build(brief=Brief(name=new.name, character=new.character))
    if new.kind != build.kind:
        build = change(build, [Change(at="kind", value=new.kind)], desk.unit)
    return desk.line(desk.workshop.make(build, "made"))


@router.post("/builds/import", status_code=201)
async def import_build(desk: TheDesk, request: Request) -> Line:
    """Take in a `*.fuseau.json`, sent as the body."""
    content = await request.body()
    build = read_document(content)
    desk.keep_attached(build, read_attached(content))
    return desk.line(desk.workshop.make(build, "taken in from a file"))


@router.post("/builds/{build_id}/duplicate", status_code=201)
def duplicate_build(desk: TheDesk, build_id: str) -> Line:
    """A copy with a history of its own."""
    build = desk.workshop.open(build_id).build
    brief = build.brief.model_copy(update={"name": f"{build.brief.name[:110]}, copy"})
    return desk.line(desk.workshop.make(build.model_copy(update={"brief": brief}), "copied"))


@router.post("/builds/{build_id}/archive")
def archive_build(desk: TheDesk, build_id: str, archived: bool = True) -> Line:
    """Put a build away, or take it out again."""
    return desk.line(desk.workshop.archive(build_id, archived))


@router.delete("/builds/{build_id}", status_code=204)
def delete_build(desk: TheDesk, build_id: str) -> None:
    """Delete a build; `undelete` brings it back."""
    desk.workshop.delete(build_id)


@router.post("/builds/{build_id}/undelete")
def undelete_build(desk: TheDesk, build_id: str) -> Line:
    """Bring a deleted build back."""
    return desk.line(desk.workshop.undelete(build_id))


@router.get("/house")
def read_house(desk: TheDesk) -> House:
    """The workshop's settings."""
    return desk.house


@router.put("/house")
def set_house(desk: TheDesk, house: House) -> House:
    """Keep the workshop's settings."""
    desk.workshop.set("house", house.model_dump_json())
    return desk.house


@router.get("/catalogue")
def read_catalogue() -> Catalogue:
    """What can be chosen, and the house numbers with their reasons."""
    numbers = []
    for name, field in Practice.model_fields.items():
        bounds = {type(one).__name__: one for one in field.metadata}
        numbers.append(
            HouseNumber(
                name=name,
                reason=field.description or "",
                usual=field.default,
                low=float(bounds["Ge"].ge),
                high=float(bounds["Le"].le),
            )
        )
    return Catalogue(
        kinds=list(GARMENT_KINDS.values()),
        levels=[
            LevelInfo(
                name=name,
                label=label,
                how=HOW_TO_MEASURE[name],
                zero=ZERO_LABELS[zero_of(name)],
                sign=sign_of(name),
            )
            for name, label in LEVEL_LABELS.items()
        ],
        bones=list(BONES.values()),
        busks=list(BUSKS),
        holes=[Choice(name=kind.name, label=kind.label) for kind in GROMMETS.values()],
        laces=[Choice(name=lace.name, label=lace.label) for lace in LACES.values()],
        cloths=[Choice(name=cloth.name, label=cloth.label) for cloth in CLOTHS.values()],
        numbers=numbers,
    )


# --- one build


@router.get("/builds/{build_id}", response_model=OpenBuild)
def read_build(desk: TheDesk, build_id: str) -> Response:
    """A build with its plan."""
    return answer(desk.sheet(desk.workshop.open(build_id)))


@router.post("/builds/{build_id}/changes", response_model=OpenBuild)
def change_build(desk: TheDesk, build_id: str, edit: SetFields) -> Response:
    """Set fields. Refused where the value cannot be, or the garment could no longer be made."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, edit.revision)
    changed = change(opened.build, edit.changes, desk.unit)
    if changed == opened.build:
        return answer(desk.sheet(opened))
    planned = makeable(desk, opened, changed)
    return kept(desk, build_id, edit.revision, changed, edit.label or label_of(edit.changes), planned)


@router.post("/builds/{build_id}/trial", response_model=Plan)
def try_changes(desk: TheDesk, build_id: str, trial: Trial) -> Response:
    """What would follow from changes, without keeping them."""
    opened = desk.workshop.open(build_id)
    return answer(desk.plan(f"{build_id} tried", change(opened.build, trial.changes, desk.unit)))


@router.post("/builds/{build_id}/undo", response_model=OpenBuild)
def undo(desk: TheDesk, build_id: str, on: OnRevision) -> Response:
    """Undo the last change."""
    return answer(desk.sheet(desk.workshop.undo(build_id, on.revision)))


@router.post("/builds/{build_id}/redo", response_model=OpenBuild)
def redo(desk: TheDesk, build_id: str, on: OnRevision) -> Response:
    """Do again what was undone."""
    return answer(desk.sheet(desk.workshop.redo(build_id, on.revision)))


@router.get("/builds/{build_id}/history")
def read_history(desk: TheDesk, build_id: str) -> list[Past]:
    """Every change, newest first."""
    return [
        Past(revision=entry.revision, label=entry.label, made_at=entry.made_at, present=entry.present)
        for entry in desk.workshop.history(build_id)
    ]


@router.post("/builds/{build_id}/restore", response_model=OpenBuild)
def restore(desk: TheDesk, build_id: str, wish: Restoring) -> Response:
    """Bring an earlier state back, as a new change."""
    return answer(desk.sheet(desk.workshop.restore(build_id, wish.revision, wish.to)))
