"""What the routes share: the desk, and answers that carry a build with its plan."""

import datetime
from typing import Annotated, Any

from fastapi import Depends, Request
from fastapi.responses import Response
from pydantic import BaseModel

from fuseau.app.session import Desk
from fuseau.app.wire import Trouble
from fuseau.craft.base.errors import Unmakeable
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.store.workshop import Opened

TROUBLES: dict[int | str, dict[str, Any]] = {404: {"model": Trouble}, 409: {"model": Trouble}, 422: {"model": Trouble}}


def the_desk(request: Request) -> Desk:
    """The desk of this server."""
    found: Desk = request.app.state.desk
    return found


TheDesk = Annotated[Desk, Depends(the_desk)]


def answer(model: BaseModel) -> Response:
    """A model as JSON, written once by Pydantic (a plan is large; validating it again would double the time)."""
    return Response(model.model_dump_json(), media_type="application/json")


def today() -> datetime.date:
    """The day of what is decided now."""
    return datetime.date.today()


def makeable(desk: Desk, opened: Opened, changed: Build) -> Plan:
    """The plan after a change; refuses one that makes a garment unmakeable which was not so before."""
    planned = desk.plan(opened.id, changed)
    if planned.unmakeable and not desk.plan(f"{opened.id} before", opened.build).unmakeable:
        stop = planned.findings[-1]
        raise Unmakeable(stop.at or "", stop.sentence)
    return planned


def kept(desk: Desk, build_id: str, revision: int, build: Build, label: str, planned: Plan | None = None) -> Response:
    """Keep a changed build as the next revision, and answer with it."""
    return answer(desk.sheet(desk.workshop.edit(build_id, revision, build, label), planned))


def file_answer(content: bytes, media_type: str, build: Build, ending: str) -> Response:
    """A file to save, named after the build."""
    plain = "".join(sign if sign.isascii() and sign.isalnum() else "-" for sign in build.brief.name).strip("-")
    name = f"{plain or 'build'}{ending}"
    return Response(content, media_type=media_type, headers={"content-disposition": f'attachment; filename="{name}"'})
