"""Routes of the record: the card of a garment, on screen and on paper."""

import datetime

from fastapi import APIRouter
from fastapi.responses import Response
from pydantic import BaseModel

from fuseau.app.json_route import JsonRoute
from fuseau.app.session import TROUBLES, TheSession, TheWorkers, file_answer
from fuseau.files.card import card_pdf
from fuseau.files.paper import Paper
from fuseau.planning.record import Card, card

router = APIRouter(prefix="/api", responses=TROUBLES, route_class=JsonRoute)


class CardSeen(BaseModel):
    """The card of a build, and the day it is."""

    card: Card
    today: datetime.date


@router.get("/builds/{build_id}/record", response_model=CardSeen)
def read_record(session: TheSession, build_id: str) -> Response:
    """The card as it stands, whatever is still open."""
    at = session.at_hand(build_id)
    return session.answer(CardSeen(card=card(at.build, at.planned), today=at.today))


@router.get("/builds/{build_id}/card.pdf", response_class=Response)
def print_card(session: TheSession, workers: TheWorkers, build_id: str, paper: Paper = "a4") -> Response:
    """The card on paper."""
    at = session.at_hand(build_id)
    printed = workers.read(card_pdf, at.build, card(at.build, at.planned), paper, session.unit)
    return file_answer(printed, "application/pdf", at.build, "-card.pdf")
