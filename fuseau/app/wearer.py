"""Routes of the book of wearers: measurings apart from builds, and what a newer one would change."""

import datetime

from fastapi import APIRouter
from fastapi.responses import Response

from fuseau.app.file_names import file_answer
from fuseau.app.json_route import JsonRoute, TheFile
from fuseau.app.session import AtHand, Session, TheSession, TheWorkers
from fuseau.app.wire import (
    BookEntry,
    BookMeasuring,
    KeepMeasures,
    LevelMoved,
    OpenBuild,
    Remeasured,
    RestingBuild,
    TakeMeasures,
)
from fuseau.craft.base.record import Sent
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build, MeasuringRef
from fuseau.files.measures_csv import MeasuresRow, measures_csv, read_measures_csv
from fuseau.store.book import Measuring

router = APIRouter(prefix="/api", route_class=JsonRoute)


class MeasuresRead(Sent):
    """The rows of a CSV file of measures."""

    rows: list[MeasuresRow]


@router.get("/wearers")
def list_wearers(session: TheSession) -> list[BookEntry]:
    """Everyone in the book, her measurings newest first, and the builds that rest on them."""
    builds = [*session.workshop.builds(), *session.workshop.builds(archived=True)]
    entries = []
    for entry in session.book.wearers():
        resting = [
            RestingBuild(
                id=opened.id,
                name=opened.build.brief.name,
                taken_on=opened.build.measuring.taken_on,
                newest=opened.build.measuring.measuring_id == entry.measurings[0].id if entry.measurings else True,
            )
            for opened in builds
            if opened.build.measuring and opened.build.measuring.wearer_id == entry.id
        ]
        measurings = [BookMeasuring(id=measuring.id, taken_on=measuring.taken_on) for measuring in entry.measurings]
        entries.append(
            BookEntry(id=entry.id, name=entry.name, measurings=measurings, damaged=entry.damaged, builds=resting)
        )
    return entries


@router.delete("/wearers/{wearer_id}", status_code=204)
def delete_wearer(session: TheSession, wearer_id: str) -> None:
    """Take a wearer and her measures out of the book; builds keep their own copy. `undelete` brings her back."""
    session.book.delete(wearer_id)


@router.post("/wearers/{wearer_id}/undelete", status_code=204)
def undelete_wearer(session: TheSession, wearer_id: str) -> None:
    """Bring a wearer back."""
    session.book.delete(wearer_id, deleted=False)


@router.get("/builds/{build_id}/measures.csv", response_class=Response)
def save_measures(session: TheSession, build_id: str) -> Response:
    """A build's measures as a CSV file."""
    build = session.at_hand(build_id).build
    return file_answer(measures_csv(build.wearer, session.unit), "text/csv", build, "-measures.csv")


@router.post("/measures/csv")
def open_measures(session: TheSession, workers: TheWorkers, body: TheFile) -> MeasuresRead:
    """What a CSV file, sent as the body, says of a wearer; nothing is taken yet."""
    return MeasuresRead(rows=workers.read(read_measures_csv, body, session.unit))


@router.post("/builds/{build_id}/book", response_model=OpenBuild)
def write_down(session: TheSession, build_id: str, wish: KeepMeasures) -> Response:
    """Keep this build's measures in the book as a measuring of a day (today, if none is said)."""

    def decide(at: AtHand) -> Build:
        ref = at.build.measuring
        made = session.book.write_down(at.build.wearer, wish.taken_on or at.today, ref.wearer_id if ref else None)
        return at.build.model_copy(update={"measuring": _ref(made)})

    def label(build: Build) -> str:
        assert build.measuring is not None
        return f"Measures of {_day(build.measuring.taken_on)} in the book"

    return session.step(build_id, wish.revision, decide, label)


@router.get("/builds/{build_id}/measurings/{measuring_id}")
def look_at_measuring(session: TheSession, build_id: str, measuring_id: str) -> Remeasured:
    """What a measuring from the book would change in this build: girths of the body, girths to sew."""
    at = session.at_hand(build_id)
    measuring = session.book.measuring(measuring_id)
    before = at.planned
    after = session.plan(build_id, _measured(session, at, measuring))
    return Remeasured(
        measuring_id=measuring.id,
        taken_on=measuring.taken_on,
        body=_moved(before.body, after.body),
        sewn=[
            LevelMoved(name=level.name, before_mm=was, after_mm=now)
            for level, was, now in zip(
                before.body or (),
                before.aim.sewn_mm if before.aim else (),
                after.aim.sewn_mm if after.aim else (),
                strict=False,
            )
        ][::-1],
    )


@router.post("/builds/{build_id}/measuring", response_model=OpenBuild)
def take_measuring(session: TheSession, build_id: str, wish: TakeMeasures) -> Response:
    """Let this build rest on a measuring from the book."""
    measuring = session.book.measuring(wish.measuring_id)
    label = f"Measures of {measuring.wearer.name or 'the wearer'}, {_day(measuring.taken_on)}"
    return session.step(build_id, wish.revision, lambda at: _measured(session, at, measuring), label)


def _ref(measuring: Measuring) -> MeasuringRef:
    return MeasuringRef(wearer_id=measuring.wearer_id, measuring_id=measuring.id, taken_on=measuring.taken_on)


def _measured(session: Session, at: AtHand, measuring: Measuring) -> Build:
    """The build on a measuring of the book, and on what fittings of other garments on it taught."""
    changes = {
        "wearer": measuring.wearer,
        "measuring": _ref(measuring),
        "taught": session.taught(measuring.id, but=at.id, taker=at.build),
    }
    return at.build.model_copy(update=changes)


def _moved(before: Body | None, after: Body | None) -> list[LevelMoved]:
    if before is None or after is None:
        return []
    return [
        LevelMoved(name=was.name, before_mm=was.girth_mm, after_mm=now.girth_mm)
        for was, now in zip(before, after, strict=True)
    ][::-1]


def _day(day: datetime.date) -> str:
    return f"{day.day} {day:%B %Y}"
