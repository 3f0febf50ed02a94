"""Routes of the pattern: versions, edits by hand, typed, traced and refitted patterns."""

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute, TheFile
from fuseau.app.session import AtHand, TheSession, TheWorkers
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

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.post("/builds/{build_id}/versions", response_model=OpenBuild)
def next_version(session: TheSession, build_id: str, step: NextVersion) -> Response:
    """Keep the draft as version 1, the proposed change as the next version, or an old one again."""

    def decide(at: AtHand) -> Build:
        match step.what:
            case "back":
                return go_back(at.build, step.to or 0, at.today)
            case "fix":
                return fix_version(at.build)
            case "cut":
                return cut_version(at.build, at.planned, at.today)
            case "accept":
                return accept(at.build, at.planned, at.today, at.unit)

    return session.step(build_id, step.revision, decide, lambda build: _step_label(step, build))


def _step_label(step: NextVersion, build: Build) -> str:
    """What the history calls it: only what is cut is called cut."""
    number = len(build.versions)
    match step.what:
        case "back":
            return f"Version {number}: back to version {step.to}"
        case "fix":
            return f"Version {number} finished"
        case "cut":
            return f"Version {number} cut"
        case "accept":
            return f"Version {number} from the proposed change"


@router.post("/builds/{build_id}/typed", response_model=OpenBuild)
def type_widths(session: TheSession, build_id: str, typed: TypedIn) -> Response:
    """A pattern typed in by its widths, level by level, as the next version."""
    written = typed.model_dump(exclude={"revision"})
    return session.step(
        build_id,
        typed.revision,
        lambda at: type_in(at.build, at.planned, written, at.today, at.unit),
        lambda build: f"Version {len(build.versions)} typed in",
    )


@router.get("/builds/{build_id}/compare", response_model=Compared)
def compare_versions(session: TheSession, build_id: str, before: int, after: int) -> Response:
    """What changed between two versions, by level, seam and edge."""
    build = session.at_hand(build_id).build
    one, other = build.version_numbered(before), build.version_numbered(after)
    if one is None or other is None:
        raise Unmakeable("versions", "version.none_to_compare")
    found = compare(one.pattern, other.pattern)
    panels = lay_flat(one.pattern, build.practice).panels
    return session.answer(Compared(before=before, after=after, comparison=found, before_panels=list(panels)))


@router.post("/builds/{build_id}/pattern", response_model=OpenBuild)
def edit_the_pattern(session: TheSession, build_id: str, edits: PatternEdits) -> Response:
    """Edit the pattern by hand. A version that is cut stays: the edit begins the next one."""

    def label(build: Build) -> str:
        said = build.current.changes[-1] if build.current and build.current.changes else "pattern edited"
        return said[:1].upper() + said[1:]

    return session.step(
        build_id,
        edits.revision,
        lambda at: edit_pattern(at.build, at.planned, edits.written(), at.today, at.unit),
        label,
    )


@router.post("/builds/{build_id}/pattern/preview", response_model=EditedPattern)
def preview_edit(session: TheSession, build_id: str, preview: EditPreview) -> Response:
    """How the pattern would lie after edits, trued, without keeping them: for a drag."""
    at = session.at_hand(build_id)
    build = at.build
    pattern = build.current.pattern if build.current else at.planned.drafted
    if pattern is None:
        raise Unmakeable("versions", "version.measures_first")
    for one in preview.written():
        pattern = edit_once(pattern, read_edit(one, at.unit), build.practice)
    laid = lay_flat(pattern, build.practice)
    left = pattern.left_pattern
    named = pattern.stations_named()
    sewn = pattern.shape.sewn_girth(pattern.shape.nominal)
    return session.answer(
        EditedPattern(
            panels=list(laid.panels),
            left_panels=list(lay_flat(left, build.practice).panels) if left else None,
            sewn_mm={name: float(sewn[i]) for name, i in named.items()},
            seams=list(laid.seams),
        )
    )


@router.post("/builds/{build_id}/refit", response_model=OpenBuild)
def refit_build(session: TheSession, build_id: str, wish: Refitting) -> Response:
    """An earlier build's pattern, refitted to this build's wearer, as the next version."""
    other = session.at_hand(wish.source)
    return session.step(
        build_id,
        wish.revision,
        lambda at: refit_from(at.build, at.planned, other.build, other.planned, at.today),
        f"Refitted from {other.build.brief.name}",
    )


@router.post("/drawings", response_model=Drawing)
def open_drawing(
    workers: TheWorkers, body: TheFile, name: str = Query(default="", max_length=200), unit: DrawingUnit | None = None
) -> Drawing:
    """The closed outlines of an SVG or DXF drawing, sent as the body."""
    return workers.read(read_drawing, body, name, unit)


@router.post("/builds/{build_id}/traced/check", response_model=TracedAnswer)
def check_traced(session: TheSession, build_id: str, traced: TracedPattern) -> Response:
    """What is odd about traced pieces as they are named, and the girths they make."""
    at = session.at_hand(build_id)
    misfits = check_pieces(traced)
    if any(misfit.stops for misfit in misfits):
        return session.answer(TracedAnswer(misfits=misfits, corners={}, sewn_mm={}))
    pattern = from_outlines(traced, _body(at.planned), at.build.draft.allowances)
    named = pattern.stations_named()
    sewn = pattern.shape.sewn_girth(pattern.shape.nominal)
    corners = {piece.number: list(corners_of(piece)) for piece in traced.pieces}
    girths = {name: float(sewn[i]) for name, i in named.items()}
    return session.answer(TracedAnswer(misfits=misfits, corners=corners, sewn_mm=girths))


@router.post("/builds/{build_id}/traced", response_model=OpenBuild)
def keep_traced(session: TheSession, build_id: str, wish: Traced) -> Response:
    """Traced pieces as the next version."""

    def decide(at: AtHand) -> Build:
        pattern = from_outlines(wish.traced, _body(at.planned), at.build.draft.allowances)
        return take_traced(at.build, pattern, wish.name or "a drawing", at.today)

    return session.step(build_id, wish.revision, decide, lambda build: f"Version {len(build.versions)} traced")


def _body(planned: Plan) -> Body:
    if planned.body is None:
        raise Unmakeable("traced", "traced.measures_first")
    return planned.body
