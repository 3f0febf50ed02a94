"""Every error as one JSON shape: a sentence for the maker, faults at their fields, a log number for the unexpected."""

import json
from collections.abc import Callable
from typing import Any

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import Response
from pydantic import ValidationError
from sqlalchemy.exc import SQLAlchemyError
from starlette.exceptions import HTTPException
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from fuseau.app.faultlog import FaultLog
from fuseau.app.guard import ROOM_HOST, CutOff
from fuseau.app.wire import Trouble
from fuseau.app.workers import Overrun, Stopped
from fuseau.craft.base.errors import CraftError
from fuseau.craft.base.lengths import Unit
from fuseau.document.build import MOST_FAULTS, Fault
from fuseau.files.unreadable import UnreadableFile
from fuseau.store.book import NotInTheBook
from fuseau.store.opening import UnusableDatabase, why_not
from fuseau.store.workshop import NoSuchBuild, NothingToDo, Stale, UnreadableBuild
from fuseau.wording import Words
from fuseau.wording.faults import fault_sentence, faults


class Unplannable(RuntimeError):
    """A build that Fuseau fails to work out: a fault of ours, written into the log under this number."""

    def __init__(self, log: str) -> None:
        super().__init__(log)
        self.log = log

    @property
    def sentence(self) -> str:
        """What is told."""
        return (
            f"Fuseau fails to work this garment out. That is a fault of Fuseau's, in its log under {self.log}: nothing "
            "was changed, and what was there before is kept."
        )


def trouble(
    status: int,
    sentence: str,
    found: list[Fault] | None = None,
    changed: list[str] | None = None,
    log: str | None = None,
) -> Response:
    """An error's answer."""
    body = Trouble(sentence=sentence[:600], faults=(found or [])[:MOST_FAULTS], changed=(changed or [])[:40], log=log)
    text = json.dumps(body.model_dump(), ensure_ascii=False).encode(errors="backslashreplace")
    return Response(text, status_code=status, media_type="application/json")


def answer_errors(app: FastAPI) -> None:
    """Have every kind of error answered in the one shape."""

    def on(kind: type[Exception], made: Callable[[Request, Any], Response]) -> None:
        async def handle(request: Request, error: Any) -> Response:
            return made(request, error)

        app.add_exception_handler(kind, handle)

    on(ValidationError, lambda request, error: _faulty(faults(error, _unit(request))))
    on(RequestValidationError, lambda request, error: _faulty(_request_faults(error, _unit(request))))
    on(CraftError, _refused)
    on(UnreadableFile, lambda request, error: trouble(422, error.sentence, list(error.faults)))
    on(UnreadableBuild, lambda request, error: trouble(422, str(error)))
    on(Unplannable, lambda request, error: trouble(422, error.sentence, log=error.log))
    on(Stale, lambda request, error: trouble(409, _STALE, changed=error.changed))
    on(NothingToDo, lambda request, error: trouble(409, str(error)))
    on(Stopped, lambda request, error: trouble(409, str(error)))
    on(Overrun, lambda request, error: trouble(503, str(error)))
    on(UnusableDatabase, lambda request, error: trouble(422, _without_folder(request, str(error))))
    on(NoSuchBuild, lambda request, error: trouble(404, str(error)))
    on(NotInTheBook, lambda request, error: trouble(404, str(error)))
    on(HTTPException, lambda request, error: trouble(error.status_code, _plain(error)))
    on(SQLAlchemyError, _disk)
    on(OSError, _disk)


_STALE = "This was changed elsewhere meanwhile; your change was not made."


def _faulty(found: list[Fault]) -> Response:
    return trouble(422, found[0].sentence if found else "This request cannot be read.", found)


def _unit(request: Request) -> Unit:
    unit: Unit = request.app.state.session.unit
    return unit


def _request_faults(error: RequestValidationError, unit: Unit) -> list[Fault]:
    found = []
    for one in error.errors()[:MOST_FAULTS]:
        at = ".".join(str(part) for part in one["loc"][1:])
        found.append(Fault(at=at[:200], sentence=fault_sentence(one, unit)))
    return found


def _refused(request: Request, error: CraftError) -> Response:
    said = Words(_unit(request))(error.message)
    return trouble(422, said, [Fault(at=error.at[:200], sentence=said[:300])])


def _plain(error: HTTPException) -> str:
    return {404: "There is nothing here.", 405: "This can't be done here."}.get(error.status_code, str(error.detail))


def _without_folder(request: Request, said: str) -> str:
    """What a device of the room is told names no folder of the laptop."""
    if ROOM_HOST not in request.scope:
        return said
    folder = request.app.state.session.database.parent
    for named in (str(folder.resolve()), str(folder)):
        said = said.replace(f"{named}/", "").replace(named, "the laptop's folder")
    return said


def _disk(request: Request, error: Exception) -> Response:
    """What the disk did not take or give, in a sentence; anything else of that kind is unexpected."""
    said = why_not(error)
    if said is None:
        raise error
    return trouble(507 if "full" in said else 503, f"This was not kept: {said}")


class Unexpected:
    """Stands before all routes: what nobody foresaw is written into the log, and answered with its number.

    Also answers HEAD as GET without its body.
    """

    def __init__(self, app: ASGIApp, log: FaultLog) -> None:
        self.app, self.log = app, log

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """One request."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        begun = False
        bare = scope["method"] == "HEAD"

        async def sending(message: Message) -> None:
            nonlocal begun
            begun = begun or message["type"] == "http.response.start"
            if bare and message["type"] == "http.response.body":
                message = {**message, "body": b""}
            await send(message)

        try:
            await self.app({**scope, "method": "GET"} if bare else scope, receive, sending)
        except CutOff:
            raise
        except Exception as error:
            number = self.log.write(error, f"{scope['method']} {scope['path'][:80]!a}")
            if begun:
                raise
            sentence = f"Something went wrong in Fuseau; your work is kept. It is in its log under {number}."
            await trouble(500, sentence, log=number)(scope, receive, sending)
