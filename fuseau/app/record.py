"""Routes of the record: the card of a garment, on screen, on paper and as one file; the box of cards."""

import datetime
from typing import Annotated

from fastapi import APIRouter, Query
from fastapi.responses import Response

from fuseau.app.file_names import file_answer
from fuseau.app.json_route import JsonRoute
from fuseau.app.session import AtHand, Session, TheSession, TheWorkers
from fuseau.app.work import picture_of_card, print_card_of
from fuseau.app.workers import Workers
from fuseau.craft.base.record import Sent
from fuseau.files.document import write_document
from fuseau.files.paper import Paper
from fuseau.planning.stages.record import Card, CardDifference, card, compare
from fuseau.planning.workshop.card_box import FoundCard, find
from fuseau.planning.worn.on_body import inputs_of, on_body

router = APIRouter(prefix="/api", route_class=JsonRoute)


class CardSeen(Sent):
    """The card of a build, and the day it is."""

    card: Card
    today: datetime.date


class CardLine(FoundCard):
    """A card in the box, and the build that it is of."""

    id: str


class CardsSeen(Sent):
    """The first of the cards that were found, how many were and how many there are in all, and of which kinds."""

    found: list[CardLine]
    count: int
    in_all: int
    kinds: list[str]


class SideBySide(Sent):
    """Two cards, line by line."""

    first: str
    second: str
    lines: list[CardDifference]


@router.get("/builds/{build_id}/record", response_model=CardSeen)
def read_record(session: TheSession, build_id: str) -> Response:
    """The card as it stands, whatever is still open."""
    at = session.at_hand(build_id)
    return session.answer(CardSeen(card=card(at.build, at.planned), today=at.today))


def _printed(session: Session, workers: Workers, at: AtHand, paper: Paper, *, whole: bool) -> bytes:
    """The card as a PDF; `whole`: with the build in it, to be read back."""
    pictures = session.pictures_of(at.build)
    document = write_document(at.build, pictures) if whole else None
    worn = inputs_of(at.build, at.planned)
    seen = on_body(worn) if worn is not None and worn.worn is not None else None
    return workers.read(
        print_card_of, at.build, card(at.build, at.planned), paper, session.unit, pictures, document, seen
    )


@router.get("/builds/{build_id}/card.pdf", response_class=Response)
def print_card(
    session: TheSession, workers: TheWorkers, build_id: str, paper: Paper = "a4", whole: bool = False
) -> Response:
    """The card on paper; `whole`: as one file that holds the build too, so that it can be sent and taken in again."""
    at = session.at_hand(build_id)
    printed = _printed(session, workers, at, paper, whole=whole)
    return file_answer(printed, "application/pdf", at.build, "-whole-card.pdf" if whole else "-card.pdf")


@router.get("/builds/{build_id}/card.png", response_class=Response)
def draw_card(session: TheSession, workers: TheWorkers, build_id: str, paper: Paper = "a4") -> Response:
    """The card as a picture."""
    at = session.at_hand(build_id)
    printed = _printed(session, workers, at, paper, whole=False)
    return file_answer(workers.read(picture_of_card, printed), "image/png", at.build, "-card.png")


@router.get("/cards", response_model=CardsSeen)
def find_cards(
    session: TheSession,
    words: Annotated[str, Query(max_length=200)] = "",
    kind: Annotated[str, Query(max_length=60)] = "",
) -> Response:
    """The cards of finished builds in which every one of the words stands, the newest first."""
    said = session.cards.said(session.unit)
    kinds = sorted({one.filed.card.kind for _, one in said if one.filed.card})
    first, count = find(said, words, kind.strip())
    found = [CardLine.model_construct(id=build_id, **dict(one)) for build_id, one in first]
    return session.answer(CardsSeen.model_construct(found=found, count=count, in_all=len(said), kinds=kinds))


@router.get("/cards/compare", response_model=SideBySide)
def compare_cards(session: TheSession, first: str, second: str) -> Response:
    """Two cards side by side, with what differs in numbers."""
    one, other = session.at_hand(first), session.at_hand(second)
    lines = compare(card(one.build, one.planned), card(other.build, other.planned))
    return session.answer(
        SideBySide(first=one.build.brief.name, second=other.build.brief.name, lines=list(lines)),
    )
