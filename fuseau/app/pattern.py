"""Routes of the pattern: versions, edits by hand, typed, traced and refitted patterns."""

from fastapi import APIRouter, Query, Request
from fastapi.responses import Response

from fuseau.app.answering import TROUBLES, TheDesk, answer, kept, makeable, today
from fuseau.app.wire import (
    Compared,
    EditedPattern,
    EditPreview,
    NextVersion,
    OpenBuild,
    PatternEdits,
    Refitting,
    Traced,
    TracedAnswer,
    TypedIn,
)
from fuseau.commands.patterns import edit_pattern, read_edit, refit_from, take_traced, type_in
from fuseau.commands.versions import accept, cut_version, fix_version, go_back
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.pattern.alterations import compare
from fuseau.craft.pattern.hand_edits import edit as edit_once
from fuseau.craft.pattern.traced_outlines import TracedPattern, check_pieces, corners_of, from_outlines
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build
from fuseau.files.drawings import Drawing, DrawingUnit, read_drawing
from fuseau.planning.plan import Plan

router = APIRouter(prefix="/api", responses=TROUBLES)


@router.post("/builds/{build_id}/versions", response_model=OpenBuild)
def next_version(desk: TheDesk, build_id: str, step: NextVersion) -> Response:
    """Keep the draft as version 1, the proposed change as the next version, or an old one again."""
    opened = desk.workshop.open(build_id)
    if step.what == "back":
        build = go_back(opened.build, step.to or 0, today())
    elif step.what == "fix":
        build = fix_version(opened.build)
    else:
        decide = cut_version if step.what == "cut" else accept
        build = decide(opened.build, desk.plan(build_id, opened.build), today())
    return kept(desk, build_id, step.revision, build, f"Version {len(build.versions)} cut")


@router.post("/builds/{build_id}/typed", response_model=OpenBuild)
def type_widths(desk: TheDesk, build_id: str, typed: TypedIn) -> Response:
    """A pattern typed in by its widths, level by level, as the next version."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, typed.revision)
    written = typed.model_dump(exclude={"revision"})
    build = type_in(opened.build, desk.plan(build_id, opened.build), written, today(), desk.unit)
    planned = makeable(desk, opened, build)
    return kept(desk, build_id, typed.revision, build, f"Version {len(build.versions)} typed in", planned)


@router.get("/builds/{build_id}/compare", response_model=Compared)
def compare_versions(desk: TheDesk, build_id: str, before: int, after: int) -> Response:
    """What changed between two versions, by level, seam and edge."""
    build = desk.workshop.open(build_id).build
    one, other = build.version_numbered(before), build.version_numbered(after)
    if one is None or other is None:
        raise Unmakeable("versions", "There are no such versions to compare.")
    found = compare(one.pattern, other.pattern)
    panels = lay_flat(one.pattern, build.practice).panels
    return answer(Compared(before=before, after=after, comparison=found, before_panels=list(panels)))


@router.post("/builds/{build_id}/pattern", response_model=OpenBuild)
def edit_the_pattern(desk: TheDesk, build_id: str, edits: PatternEdits) -> Response:
    """Edit the pattern by hand. A version that is cut stays: the edit begins the next one."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, edits.revision)
    planned = desk.plan(build_id, opened.build)
    build = edit_pattern(opened.build, planned, edits.edits, today(), desk.unit)
    label = build.current.changes[-1] if build.current and build.current.changes else "Pattern edited"
    return kept(desk, build_id, edits.revision, build, label[:1].upper() + label[1:], makeable(desk, opened, build))


@router.post("/builds/{build_id}/pattern/preview", response_model=EditedPattern)
def preview_edit(desk: TheDesk, build_id: str, preview: EditPreview) -> Response:
    """How the pattern would lie after edits, trued, without keeping them: for a drag."""
    opened = desk.workshop.open(build_id)
    build = opened.build
    planned = desk.plan(build_id, build)
    pattern = build.current.pattern if build.current else planned.drafted
    if pattern is None:
        raise Unmakeable("versions", "There is no pattern yet: the measures come first.")
    for one in preview.edits:
        pattern = edit_once(pattern, read_edit(one, desk.unit), build.practice)
    laid = lay_flat(pattern, build.practice)
    left = pattern.left_pattern
    named = pattern.stations_named()
    sewn = pattern.shape.sewn_girth(pattern.shape.nominal)
    return answer(
        EditedPattern(
            panels=list(laid.panels),
            left_panels=list(lay_flat(left, build.practice).panels) if left else None,
            sewn_mm={name: float(sewn[i]) for name, i in named.items()},
            seams=list(laid.seams),
        )
    )


@router.post("/builds/{build_id}/refit", response_model=OpenBuild)
def refit_build(desk: TheDesk, build_id: str, wish: Refitting) -> Response:
    """An earlier build's pattern, refitted to this build's wearer, as the next version."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, wish.revision)
    other = desk.workshop.open(wish.source)
    build = refit_from(
        opened.build, desk.plan(build_id, opened.build), other.build, desk.plan(wish.source, other.build), today()
    )
    label = f"Refitted from {other.build.brief.name}"
    return kept(desk, build_id, wish.revision, build, label, makeable(desk, opened, build))


@router.post("/drawings", response_model=Drawing)
async def open_drawing(
    request: Request, name: str = Query(default="", max_length=200), unit: DrawingUnit | None = None
) -> Drawing:
    """The closed outlines of an SVG or DXF drawing, sent as the body."""
    return read_drawing(await request.body(), name, unit)


@router.post("/builds/{build_id}/traced/check")
def check_traced(desk: TheDesk, build_id: str, traced: TracedPattern) -> TracedAnswer:
    """What is odd about traced pieces as they are named, and the girths they make."""
    build = desk.workshop.open(build_id).build
    planned = desk.plan(build_id, build)
    misfits = check_pieces(traced)
    if any(misfit.stops for misfit in misfits):
        return TracedAnswer(misfits=misfits, corners={}, sewn_mm={})
    pattern = from_outlines(traced, _body(planned), build.draft.allowances)
    named = pattern.stations_named()
    sewn = pattern.shape.sewn_girth(pattern.shape.nominal)
    corners = {piece.number: list(corners_of(piece)) for piece in traced.pieces}
    return TracedAnswer(misfits=misfits, corners=corners, sewn_mm={name: float(sewn[i]) for name, i in named.items()})


@router.post("/builds/{build_id}/traced", response_model=OpenBuild)
def keep_traced(desk: TheDesk, build_id: str, wish: Traced) -> Response:
    """Traced pieces as the next version."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, wish.revision)
    pattern = from_outlines(wish.traced, _body(desk.plan(build_id, opened.build)), opened.build.draft.allowances)
    build: Build = take_traced(opened.build, pattern, wish.name or "a drawing", today())
    label = f"Version {len(build.versions)} traced"
    return kept(desk, build_id, wish.revision, build, label, makeable(desk, opened, build))


def _body(planned: Plan) -> Body:
    if planned.body is None:
        raise Unmakeable("traced", "The measures come first: the levels of the pattern are hers.")
    return planned.body
