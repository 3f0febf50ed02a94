"""Routes of the mock-ups: fittings, photos of the back, the proposed change, the odds, the story, the rehearsal."""

from typing import Literal

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.json_route import JsonRoute, TheFile
from fuseau.app.session import TheSession, TheWorkers
from fuseau.app.wire import KeptPhoto, Line, NewFitting, OpenBuild, SetLine
from fuseau.app.work import tell_story, work_out_odds
from fuseau.commands.fittings import correct_fitting, log_fitting, set_line
from fuseau.craft.fitting.photo_gap import GapSeen, MarkedBack, read_back, spots
from fuseau.craft.fitting.readiness import Readiness
from fuseau.document.fittings import BackPhoto, Fitting
from fuseau.files.pictures import decode_picture
from fuseau.planning.fittings.story import Chapter
from fuseau.stand_ins.rehearsal import Outcome, cut_on_stand, fit_on_stand
from fuseau.store.pictures import KeptPicture

router = APIRouter(prefix="/api", route_class=JsonRoute)


@router.post("/builds/{build_id}/fittings", response_model=OpenBuild)
def new_fitting(session: TheSession, build_id: str, fitting: NewFitting) -> Response:
    """Log a fitting of the current version."""
    return session.step(
        build_id,
        fitting.revision,
        lambda at: log_fitting(at.build, at.planned, fitting.written(), at.today, at.unit),
        lambda build: f"Fitting {len(build.fittings)} logged",
    )


@router.put("/builds/{build_id}/fittings/{number}", response_model=OpenBuild)
def mend_fitting(session: TheSession, build_id: str, number: int, fitting: NewFitting) -> Response:
    """Correct a fitting."""
    return session.step(
        build_id,
        fitting.revision,
        lambda at: correct_fitting(at.build, number, fitting.corrected(), at.unit),
        f"Fitting {number} corrected",
    )


@router.post("/photos", status_code=201)
def keep_photo(
    session: TheSession,
    workers: TheWorkers,
    body: TheFile,
    name: str = Query(default="", max_length=200),
    build: str = Query(default="", max_length=32),
    page: str = Query(default="", max_length=40),
) -> KeptPhoto:
    """Keep a photo for a fitting, sent as the body; the pages on which its build is open hear of it.

    `page` tells the page that sent it from the others.
    """
    decoded = workers.read(decode_picture, body, name)
    session.pictures.keep(KeptPicture(**decoded.__dict__))
    kept = KeptPhoto(id=decoded.id, width_px=decoded.width_px, height_px=decoded.height_px)
    if build:
        session.news.tell("photo", build=build, page=page, name=name, photo=kept.model_dump(mode="json"))
    return kept


@router.post("/builds/{build_id}/photo")
def read_photo(session: TheSession, build_id: str, photo: BackPhoto) -> list[GapSeen]:
    """Gaps and heights that the marks on a photo of the back come to."""
    practice = session.at_hand(build_id).build.practice

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
def change_line(session: TheSession, build_id: str, line: SetLine) -> Response:
    """Set one line of the proposed change by hand, or take that back."""
    return session.step(
        build_id,
        line.revision,
        lambda at: set_line(at.build, at.planned, line.written(), at.unit),
        "Change edited",
    )


@router.get("/builds/{build_id}/readiness", response_model=Readiness | None)
def read_readiness(session: TheSession, workers: TheWorkers, build_id: str) -> Response:
    """The odds that the real garment fits if it were cut now, from 200 draws of what is believed."""
    opened = session.workshop.open(build_id)
    found = workers.think(build_id, "odds", opened.revision, work_out_odds, build_id, opened.build)
    return Response("null", media_type="application/json") if found is None else session.answer(found)


@router.get("/builds/{build_id}/story", response_model=list[Chapter])
def read_story(session: TheSession, workers: TheWorkers, build_id: str) -> Response:
    """What was believed after each fitting, what it cost, and what it bought."""
    opened = session.workshop.open(build_id)
    return session.answers(workers.think(build_id, "story", opened.revision, tell_story, build_id, opened.build))


# --- the rehearsal


@router.post("/builds/{build_id}/rehearse", status_code=201)
def rehearse(session: TheSession, build_id: str, world: Literal["kind", "harsh"] = "harsh") -> Line:
    """A copy of the build to rehearse with: the same measures and wishes, and a dress stand with a hidden body."""
    build = session.at_hand(build_id).build
    brief = build.brief.model_copy(update={"name": f"{build.brief.name[:100]}, rehearsal"})
    fresh = build.model_copy(
        update={"brief": brief, "versions": (), "fittings": (), "line_edits": (), "taught": None, "rehearsal": world}
    )
    return session.keep_new(fresh, "rehearsal begun")


@router.post("/builds/{build_id}/stand")
def try_on_stand(session: TheSession, build_id: str) -> Fitting:
    """The present version laced on the dress stand: a fitting as it is read there, not logged yet."""
    at = session.at_hand(build_id)
    return fit_on_stand(at.build, at.planned, build_id)


@router.post("/builds/{build_id}/stand/cut")
def cut_for_stand(session: TheSession, build_id: str) -> Outcome:
    """The final garment on the dress stand, and the body that was hidden."""
    at = session.at_hand(build_id)
    return cut_on_stand(at.build, at.planned, build_id)
