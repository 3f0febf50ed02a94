"""The routes. Each parses, calls the desk, the store or a decision, and answers."""

from fastapi import APIRouter
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute, TheFile
from fuseau.app.session import AtHand, TheSession, TheWorkers
from fuseau.app.wire import (
    Catalogue,
    House,
    HouseNumber,
    LevelInfo,
    Line,
    Named,
    NewBuild,
    OnRevision,
    OpenBuild,
    Past,
    Restoring,
    SetFields,
    Trial,
)
from fuseau.commands.fields import change, with_known
from fuseau.commands.make import anew, like_this
from fuseau.commands.shelf import let_go
from fuseau.craft.base.findings import Change
from fuseau.craft.base.practice import Practice
from fuseau.craft.materials.catalogue import BUSKS, GROMMETS, LACES, STUFFS
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import HOW_TO_MEASURE, LEVEL_LABELS, ZERO_LABELS, sign_of, zero_of
from fuseau.document.build import Brief, Build
from fuseau.document.fitting_fields import FITTING_FIELDS
from fuseau.files.intake import away_from_its_shelf, take_in
from fuseau.planning.plan import Plan
from fuseau.store.pictures import KeptPicture
from fuseau.wording.history import label_of

router = APIRouter(prefix="/api", route_class=JsonRoute)


# --- the workshop


@router.get("/builds")
def list_builds(session: TheSession, archived: bool = False) -> list[Line]:
    """Builds by the day they are needed."""
    return [session.line(line) for line in session.workshop.listed(archived)]


@router.post("/builds", status_code=201)
def make_build(session: TheSession, new: NewBuild) -> Line:
    """Make an empty build."""
    build = Build(brief=Brief(name=new.name, character=new.character))
    if new.kind != build.kind:
        build = change(build, [Change(at="kind", value=new.kind)], session.unit)
    return session.keep_new(build, "made")


@router.post("/builds/import", status_code=201)
def import_build(session: TheSession, workers: TheWorkers, body: TheFile) -> Line:
    """Take in a `*.fuseau.json`, sent as the body."""
    taken = workers.read(take_in, body, session.pictures.ids())
    for picture in taken.pictures:
        session.pictures.keep(KeptPicture(**picture.__dict__))
    line = session.keep_new(taken.build, "taken in from a file")
    if taken.shelf:
        session.put_aside(line.id, taken.shelf, line.name)
    return line


@router.post("/builds/{build_id}/duplicate", status_code=201)
def duplicate_build(session: TheSession, build_id: str, again: bool = False) -> Line:
    """A copy with a history of its own; `again`: another one like it, with what she would change of it as lessons."""
    build = session.workshop.open(build_id).build
    if again:
        return session.keep_new(away_from_its_shelf(like_this(build)), f"like {build.brief.name}"[:120])
    brief = build.brief.model_copy(update={"name": f"{build.brief.name[:110]}, copy"})
    return session.keep_new(away_from_its_shelf(anew(build.model_copy(update={"brief": brief}))), "copied")


@router.post("/builds/{build_id}/archive")
def archive_build(session: TheSession, build_id: str, archived: bool = True) -> Line:
    """Put a build away, or take it out again."""
    session.workshop.archive(build_id, archived)
    return session.line(session.workshop.look(build_id))


@router.delete("/builds/{build_id}", status_code=204)
def delete_build(session: TheSession, build_id: str) -> None:
    """Delete a build; `undelete` brings it back. What it had reserved of the shelf is free again."""
    name = session.workshop.look(build_id).name
    session.workshop.delete(build_id)
    session.shelf.edit(lambda now: let_go(now, [build_id]), f"{name} needs nothing any more")


@router.post("/builds/{build_id}/undelete")
def undelete_build(session: TheSession, build_id: str) -> Line:
    """Bring a deleted build back."""
    session.workshop.undelete(build_id)
    return session.line(session.workshop.look(build_id))


@router.get("/house")
def read_house(session: TheSession) -> House:
    """The workshop's settings."""
    return session.house


@router.patch("/house")
def change_house(session: TheSession, said: House) -> House:
    """Change those of the workshop's settings that are said."""
    return session.change_house(said)


@router.get("/catalogue")
def read_catalogue(session: TheSession) -> Catalogue:
    """What can be chosen, and the house numbers with their reasons."""
    own = session.shelf.open().shelf.catalogue
    numbers = []
    for name, field in Practice.model_fields.items():
        bounds = {type(mark).__name__: mark for mark in field.metadata}
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
        bones=list(own.kinds.values()),
        materials=list(STUFFS),
        busks=list(BUSKS),
        holes=[Named(name=kind.name, label=kind.label) for kind in GROMMETS.values()],
        laces=[Named(name=lace.name, label=lace.label) for lace in LACES.values()],
        cloths=list(own.all_cloths.values()),
        fitting=FITTING_FIELDS,
        numbers=numbers,
    )


# --- one build


@router.get("/builds/{build_id}", response_model=OpenBuild)
def read_build(session: TheSession, build_id: str) -> Response:
    """A build with its plan."""
    return session.answer_build(session.workshop.open(build_id))


@router.post("/builds/{build_id}/changes", response_model=OpenBuild)
def change_build(session: TheSession, build_id: str, edit: SetFields) -> Response:
    """Set fields. Refused where the value cannot be, or the garment could no longer be made."""
    label = edit.label or label_of(edit.changes)
    own = session.shelf.open().shelf.catalogue

    def step(at: AtHand) -> Build:
        return change(with_known(at.build, own, edit.changes), edit.changes, at.unit)

    return session.step(build_id, edit.revision, step, label)


@router.post("/builds/{build_id}/trial", response_model=Plan)
def try_changes(session: TheSession, build_id: str, trial: Trial) -> Response:
    """What would follow from changes, without keeping them."""
    at = session.at_hand(build_id)
    known = with_known(at.build, session.shelf.open().shelf.catalogue, trial.changes)
    return session.answer(session.plan(build_id, change(known, trial.changes, at.unit)))


@router.post("/builds/{build_id}/undo", response_model=OpenBuild)
def undo(session: TheSession, build_id: str, on: OnRevision) -> Response:
    """Undo the last change."""
    to = session.workshop.before(build_id, on.revision)
    return session.go_to(build_id, to, lambda: session.workshop.undo(build_id, on.revision))


@router.post("/builds/{build_id}/redo", response_model=OpenBuild)
def redo(session: TheSession, build_id: str, on: OnRevision) -> Response:
    """Do again what was undone."""
    to = session.workshop.after(build_id, on.revision)
    return session.go_to(build_id, to, lambda: session.workshop.redo(build_id, on.revision))


@router.get("/builds/{build_id}/history")
def read_history(session: TheSession, build_id: str) -> list[Past]:
    """Every change, newest first."""
    return [
        Past(revision=entry.revision, label=entry.label, made_at=entry.made_at, present=entry.present)
        for entry in session.workshop.history(build_id)
    ]


@router.post("/builds/{build_id}/restore", response_model=OpenBuild)
def restore(session: TheSession, build_id: str, wish: Restoring) -> Response:
    """Bring an earlier state back, as a new change."""
    return session.go_to(build_id, wish.to, lambda: session.workshop.restore(build_id, wish.revision, wish.to))
