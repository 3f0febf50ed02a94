"""The routes. Each parses, calls the desk, the store or a decision, and answers."""

import datetime
from typing import Annotated

from fastapi import APIRouter, Depends, Query, Request
from fastapi.responses import Response
from pydantic import BaseModel

from fuseau.app.desk import Desk
from fuseau.app.shapes import (
    Catalogue,
    Choice,
    Compared,
    Edit,
    House,
    HouseNumber,
    Line,
    NewBuild,
    NewFitting,
    NextVersion,
    OnRevision,
    Past,
    Restoring,
    Sheet,
    Trial,
    Trouble,
    TypedIn,
)
from fuseau.app.words import label_of
from fuseau.build import Brief, Build
from fuseau.craft.alterations import compare
from fuseau.craft.notions import BONES, CLOTHS
from fuseau.craft.practice import Practice
from fuseau.craft.record import Unmakeable
from fuseau.craft.trueing import lay_flat
from fuseau.decisions import accept, change, cut_version, go_back, log_fitting, type_in
from fuseau.files.document import read_document, write_document
from fuseau.files.paper import Paper
from fuseau.planned import Plan
from fuseau.store.workshop import Opened

router = APIRouter(prefix="/api", responses={404: {"model": Trouble}, 409: {"model": Trouble}, 422: {"model": Trouble}})


def the_desk(request: Request) -> Desk:
    """The desk of this server."""
    found: Desk = request.app.state.desk
    return found


TheDesk = Annotated[Desk, Depends(the_desk)]


def _answer(model: BaseModel) -> Response:
    """A model as JSON, written once by Pydantic (a plan is large; validating it again would double the time)."""
    return Response(model.model_dump_json(), media_type="application/json")


def _today() -> datetime.date:
    return datetime.date.today()


# --- the workshop


@router.get("/builds")
def list_builds(desk: TheDesk, archived: bool = False) -> list[Line]:
    """Builds by the day they are needed."""
    return [desk.line(opened) for opened in desk.workshop.builds(archived)]


@router.post("/builds", status_code=201)
def make_build(desk: TheDesk, new: NewBuild) -> Line:
    """Make an empty build."""
    build = Build(brief=Brief(name=new.name, character=new.character))
    return desk.line(desk.workshop.make(build, "made"))


@router.post("/builds/import", status_code=201)
async def import_build(desk: TheDesk, request: Request) -> Line:
    """Take in a `*.fuseau.json`, sent as the body."""
    build = read_document(await request.body())
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
        bones=[Choice(name=kind.name, label=kind.label) for kind in BONES.values()],
        cloths=[Choice(name=cloth.name, label=cloth.label) for cloth in CLOTHS.values()],
        numbers=numbers,
    )


# --- one build


@router.get("/builds/{build_id}", response_model=Sheet)
def read_build(desk: TheDesk, build_id: str) -> Response:
    """A build with its plan."""
    return _answer(desk.sheet(desk.workshop.open(build_id)))


@router.post("/builds/{build_id}/changes", response_model=Sheet)
def change_build(desk: TheDesk, build_id: str, edit: Edit) -> Response:
    """Set fields. Refused where the value cannot be, or the garment could no longer be made."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, edit.revision)
    changed = change(opened.build, edit.changes, desk.unit)
    if changed == opened.build:
        return _answer(desk.sheet(opened))
    planned = _makeable(desk, opened, changed)
    return _kept(desk, build_id, edit.revision, changed, edit.label or label_of(edit.changes), planned)


@router.post("/builds/{build_id}/trial", response_model=Plan)
def try_changes(desk: TheDesk, build_id: str, trial: Trial) -> Response:
    """What would follow from changes, without keeping them."""
    opened = desk.workshop.open(build_id)
    return _answer(desk.plan(f"{build_id} tried", change(opened.build, trial.changes, desk.unit)))


@router.post("/builds/{build_id}/versions", response_model=Sheet)
def next_version(desk: TheDesk, build_id: str, step: NextVersion) -> Response:
    """Keep the draft as version 1, the proposed change as the next version, or an old one again."""
    opened = desk.workshop.open(build_id)
    if step.what == "back":
        build = go_back(opened.build, step.to or 0, _today())
    else:
        decide = cut_version if step.what == "cut" else accept
        build = decide(opened.build, desk.plan(build_id, opened.build), _today())
    return _kept(desk, build_id, step.revision, build, f"Version {len(build.versions)} cut")


@router.post("/builds/{build_id}/typed", response_model=Sheet)
def type_widths(desk: TheDesk, build_id: str, typed: TypedIn) -> Response:
    """A pattern typed in by its widths, level by level, as the next version."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, typed.revision)
    written = typed.model_dump(exclude={"revision"})
    build = type_in(opened.build, desk.plan(build_id, opened.build), written, _today(), desk.unit)
    planned = _makeable(desk, opened, build)
    return _kept(desk, build_id, typed.revision, build, f"Version {len(build.versions)} typed in", planned)


@router.get("/builds/{build_id}/compare", response_model=Compared)
def compare_versions(desk: TheDesk, build_id: str, before: int, after: int) -> Response:
    """What changed between two versions, by level, seam and edge."""
    build = desk.workshop.open(build_id).build
    one, other = build.version_numbered(before), build.version_numbered(after)
    if one is None or other is None:
        raise Unmakeable("versions", "There are no such versions to compare.")
    found = compare(one.pattern, other.pattern)
    panels = lay_flat(one.pattern, build.practice).panels
    return _answer(Compared(before=before, after=after, comparison=found, before_panels=list(panels)))


@router.post("/builds/{build_id}/fittings", response_model=Sheet)
def new_fitting(desk: TheDesk, build_id: str, fitting: NewFitting) -> Response:
    """Log a fitting of the current version."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, fitting.revision)
    planned = desk.plan(build_id, opened.build)
    build = log_fitting(opened.build, planned, fitting.written(), _today(), desk.unit)
    after = _makeable(desk, opened, build)
    return _kept(desk, build_id, fitting.revision, build, f"Fitting {len(build.fittings)} logged", after)


@router.post("/builds/{build_id}/undo", response_model=Sheet)
def undo(desk: TheDesk, build_id: str, on: OnRevision) -> Response:
    """Undo the last change."""
    return _answer(desk.sheet(desk.workshop.undo(build_id, on.revision)))


@router.post("/builds/{build_id}/redo", response_model=Sheet)
def redo(desk: TheDesk, build_id: str, on: OnRevision) -> Response:
    """Do again what was undone."""
    return _answer(desk.sheet(desk.workshop.redo(build_id, on.revision)))


@router.get("/builds/{build_id}/history")
def read_history(desk: TheDesk, build_id: str) -> list[Past]:
    """Every change, newest first."""
    return [
        Past(revision=entry.revision, label=entry.label, made_at=entry.made_at, present=entry.present)
        for entry in desk.workshop.history(build_id)
    ]


@router.post("/builds/{build_id}/restore", response_model=Sheet)
def restore(desk: TheDesk, build_id: str, wish: Restoring) -> Response:
    """Bring an earlier state back, as a new change."""
    return _answer(desk.sheet(desk.workshop.restore(build_id, wish.revision, wish.to)))


def _makeable(desk: Desk, opened: Opened, changed: Build) -> Plan:
    """The plan after a change; refuses one that makes a garment unmakeable which was not so before."""
    planned = desk.plan(opened.id, changed)
    if planned.unmakeable and not desk.plan(f"{opened.id} before", opened.build).unmakeable:
        stop = planned.findings[-1]
        raise Unmakeable(stop.at or "", stop.sentence)
    return planned


def _kept(desk: Desk, build_id: str, revision: int, build: Build, label: str, planned: Plan | None = None) -> Response:
    return _answer(desk.sheet(desk.workshop.edit(build_id, revision, build, label), planned))


# --- what leaves


def _file(content: bytes, media_type: str, build: Build, ending: str) -> Response:
    plain = "".join(sign if sign.isascii() and sign.isalnum() else "-" for sign in build.brief.name).strip("-")
    name = f"{plain or 'build'}{ending}"
    return Response(content, media_type=media_type, headers={"content-disposition": f'attachment; filename="{name}"'})


def _drafted(desk: Desk, build_id: str) -> tuple[Build, Plan]:
    opened = desk.workshop.open(build_id)
    planned = desk.plan(build_id, opened.build)
    if planned.pattern is None:
        raise Unmakeable("wearer", "There is no pattern to print yet: the measures come first.")
    return opened.build, planned


@router.get("/builds/{build_id}/pattern.pdf", response_class=Response)
def print_pattern(desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """The pattern at 1:1 on tiled pages."""
    from fuseau.files.tiles import pattern_pdf

    build, planned = _drafted(desk, build_id)
    return _file(pattern_pdf(build, planned, paper), "application/pdf", build, f"-pattern-{paper}.pdf")


@router.get("/builds/{build_id}/list.pdf", response_class=Response)
def print_list(desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """Bones, busk, holes and lace on one page."""
    from fuseau.files.sheet import list_pdf

    build, planned = _drafted(desk, build_id)
    return _file(list_pdf(build, planned, paper, desk.unit), "application/pdf", build, "-list.pdf")


@router.get("/builds/{build_id}/pattern.svg", response_class=Response)
def draw_pattern(desk: TheDesk, build_id: str) -> Response:
    """The pattern as SVG in millimetres."""
    from fuseau.files.svg import pattern_svg

    build, planned = _drafted(desk, build_id)
    return _file(pattern_svg(build, planned).encode(), "image/svg+xml", build, "-pattern.svg")


@router.get("/builds/{build_id}/build.fuseau.json", response_class=Response)
def export_build(desk: TheDesk, build_id: str) -> Response:
    """The build as an open file."""
    build = desk.workshop.open(build_id).build
    return _file(write_document(build), "application/json", build, ".fuseau.json")


@router.get("/builds/{build_id}/letter.html", response_class=Response)
def letter_to_send(desk: TheDesk, build_id: str) -> Response:
    """A client's measuring sheet as one file that works offline."""
    from fuseau.files.letter import letter_html

    build = desk.workshop.open(build_id).build
    return _file(letter_html(build, desk.unit), "text/html", build, "-measures.html")


@router.get("/builds/{build_id}/letter.pdf", response_class=Response)
def letter_to_print(desk: TheDesk, build_id: str, paper: Annotated[Paper, Query()] = "a4") -> Response:
    """The same sheet to print and write on."""
    from fuseau.files.letter import letter_pdf

    build = desk.workshop.open(build_id).build
    return _file(letter_pdf(build, paper), "application/pdf", build, "-measures.pdf")


@router.post("/builds/{build_id}/letter", response_model=Sheet)
async def read_answer(desk: TheDesk, build_id: str, revision: int, request: Request) -> Response:
    """Take in a client's answer, sent as the body: her measures, marked as not confirmed."""
    from fuseau.files.letter import read_letter

    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, revision)
    changed = change(opened.build, read_letter(await request.body()), desk.unit)
    planned = _makeable(desk, opened, changed)
    return _kept(desk, build_id, revision, changed, "Measures by letter", planned)
