"""Routes of the mock-ups: fittings, photos of the back, the proposed change, the odds, the story, the rehearsal."""

from typing import Any, Literal

from fastapi import APIRouter, Query, Request
from fastapi.responses import Response

from fuseau.app.answering import TROUBLES, TheDesk, answer, kept, makeable, today
from fuseau.app.wire import KeptPhoto, Line, NewFitting, OpenBuild, SetLine
from fuseau.commands.fittings import correct_fitting, log_fitting, set_line
from fuseau.craft.fitting.photo_gap import GapSeen, MarkedBack, read_back, spots
from fuseau.craft.fitting.readiness import Readiness
from fuseau.document.fittings import BackPhoto
from fuseau.files.pictures import decode_picture
from fuseau.planning.story import Chapter
from fuseau.stand_ins.rehearsal import Verdict, cut_on_stand, fit_on_stand
from fuseau.store.pictures import KeptPicture

router = APIRouter(prefix="/api", responses=TROUBLES)


@router.post("/builds/{build_id}/fittings", response_model=OpenBuild)
def new_fitting(desk: TheDesk, build_id: str, fitting: NewFitting) -> Response:
    """Log a fitting of the current version."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, fitting.revision)
    planned = desk.plan(build_id, opened.build)
    build = log_fitting(opened.build, planned, fitting.written(), today(), desk.unit)
    after = makeable(desk, opened, build)
    return kept(desk, build_id, fitting.revision, build, f"Fitting {len(build.fittings)} logged", after)


@router.put("/builds/{build_id}/fittings/{number}", response_model=OpenBuild)
def mend_fitting(desk: TheDesk, build_id: str, number: int, fitting: NewFitting) -> Response:
    """Correct a fitting."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, fitting.revision)
    build = correct_fitting(opened.build, number, fitting.corrected(), desk.unit)
    if build == opened.build:
        return answer(desk.sheet(opened))
    after = makeable(desk, opened, build)
    return kept(desk, build_id, fitting.revision, build, f"Fitting {number} corrected", after)


@router.post("/photos", status_code=201)
async def keep_photo(desk: TheDesk, request: Request, name: str = Query(default="", max_length=200)) -> KeptPhoto:
    """Keep a photo for a fitting, sent as the body."""
    decoded = decode_picture(await request.body(), name)
    desk.pictures.keep(KeptPicture(**decoded.__dict__))
    return KeptPhoto(id=decoded.id, width_px=decoded.width_px, height_px=decoded.height_px)


@router.post("/builds/{build_id}/photo")
def read_photo(desk: TheDesk, build_id: str, photo: BackPhoto) -> list[GapSeen]:
    """Gaps and heights that the marks on a photo of the back come to."""
    practice = desk.workshop.open(build_id).build.practice

    def px(points: tuple[tuple[float, float], ...]) -> tuple[tuple[float, float], ...]:
        return spots(points, photo.width_px, photo.height_px)

    marked = MarkedBack(
        width_px=photo.width_px,
        scale=px(photo.scale),
        known_mm=photo.known_mm,
        known_high_mm=photo.known_high_mm,
        waist=px((photo.waist,))[0] if photo.waist else None,
        rows=tuple((left, right) for left, right in (px(row) for row in photo.rows)),
    )
    return read_back(marked, practice)


@router.put("/builds/{build_id}/change/line", response_model=OpenBuild)
def change_line(desk: TheDesk, build_id: str, line: SetLine) -> Response:
    """Set one line of the proposed change by hand, or take that back."""
    opened = desk.workshop.open(build_id)
    desk.workshop.check(build_id, line.revision)
    build = set_line(opened.build, desk.plan(build_id, opened.build), line.written(), desk.unit)
    if build == opened.build:
        return answer(desk.sheet(opened))
    after = makeable(desk, opened, build)
    return kept(desk, build_id, line.revision, build, "Change edited", after)


@router.get("/builds/{build_id}/readiness")
def read_readiness(desk: TheDesk, build_id: str) -> Readiness | None:
    """The odds that the real garment fits if it were cut now, from 200 draws of what is believed."""
    return desk.ready(build_id, desk.workshop.open(build_id).build)


@router.get("/builds/{build_id}/story")
def read_story(desk: TheDesk, build_id: str) -> list[Chapter]:
    """What was believed after each fitting, what it cost, and what it bought."""
    return desk.story(build_id, desk.workshop.open(build_id).build)


# --- the rehearsal


@router.post("/builds/{build_id}/rehearse", status_code=201)
def rehearse(desk: TheDesk, build_id: str, world: Literal["kind", "harsh"] = "harsh") -> Line:
    """A copy of the build to rehearse with: the same measures and wishes, and a dress stand with a hidden body."""
    build = desk.workshop.open(build_id).build
    brief = build.brief.model_copy(update={"name": f"{build.brief.name[:100]}, rehearsal"})
    fresh = build.model_copy(
        update={"brief": brief, "versions": (), "fittings": (), "line_edits": (), "taught": None, "rehearsal": world}
    )
    return desk.line(desk.workshop.make(fresh, "rehearsal begun"))


@router.post("/builds/{build_id}/stand")
def try_on_stand(desk: TheDesk, build_id: str) -> dict[str, Any]:
    """The present version laced on the dress stand: a fitting as it is read there, not logged yet."""
    build = desk.workshop.open(build_id).build
    return fit_on_stand(build, desk.plan(build_id, build), build_id)


@router.post("/builds/{build_id}/stand/cut")
def cut_for_stand(desk: TheDesk, build_id: str) -> Verdict:
    """The final garment on the dress stand, and the body that was hidden."""
    build = desk.workshop.open(build_id).build
    return cut_on_stand(build, desk.plan(build_id, build), build_id)
