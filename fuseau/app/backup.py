"""Routes of backups: everything in one file out, and back in beside what is here or in its place; the daily copies."""

import datetime
from dataclasses import replace
from typing import Literal

from fastapi import APIRouter, Request
from fastapi.responses import FileResponse, Response
from starlette.background import BackgroundTask
from starlette.concurrency import run_in_threadpool

from fuseau.app.json_route import A_FILE, JsonRoute, check_is_file
from fuseau.app.session import TheSession, TheWorkers
from fuseau.app.work import check_kept
from fuseau.craft.base.record import Sent
from fuseau.store.backup import (
    ENDING,
    Contents,
    Restored,
    look_into,
    replace_with,
    restore_beside,
    unfit_in,
    write_backup,
)
from fuseau.store.copies import copies_of
from fuseau.store.opening import UnusableDatabase, telling, unused

router = APIRouter(prefix="/api", route_class=JsonRoute)

LARGEST_BACKUP = 4_000_000_000


class KeptCopy(Sent):
    """A copy of the database that Fuseau keeps by itself."""

    name: str
    made_at: datetime.datetime
    size_bytes: int


class BringIn(Sent):
    """How a backup comes in: beside what is here, or in its place."""

    how: Literal["beside", "replace"]


class BroughtIn(Sent):
    """What came in, and for what was replaced the name of its copy."""

    builds: int
    beside: int
    here_already: int
    wearers: int
    pictures: int
    copy_of_before: str | None = None


@router.get("/copies")
def list_copies(session: TheSession) -> list[KeptCopy]:
    """The daily copies, and those from before a migration or a restoring; newest first."""
    return [
        KeptCopy(name=copy.path.name, made_at=copy.made_at, size_bytes=copy.size_bytes)
        for copy in copies_of(session.database)
    ]


@router.get("/backup", response_class=Response)
def take_backup(session: TheSession) -> Response:
    """Everything in one file, checked when it was made."""
    part = unused(session.database.with_name("backup.part"))
    write_backup(session.database, part)
    name = f"fuseau-{datetime.date.today().isoformat()}{ENDING}"
    return FileResponse(
        part, media_type="application/octet-stream", filename=name, background=BackgroundTask(part.unlink, True)
    )


@router.put("/backup", openapi_extra=A_FILE)
async def offer_backup(session: TheSession, workers: TheWorkers, request: Request) -> Contents:
    """A backup, sent as the body: what it holds, each build of it that is new here planned like one from a file.

    It waits beside the workshop until it is brought in, or let go.
    """
    check_is_file(request)
    waiting = session.waiting_backup

    size = 0
    try:
        with telling("This file can't be taken"), waiting.open("wb") as file:
            async for chunk in request.stream():
                size += len(chunk)
                if size > LARGEST_BACKUP:
                    most = f"{LARGEST_BACKUP / 1e9:.0f} GB"
                    raise UnusableDatabase(f"This file has more than {most}: it is no backup of Fuseau's.")
                await run_in_threadpool(file.write, chunk)
        contents = await run_in_threadpool(look_into, waiting, session.workshop.engine)
        unfit = await run_in_threadpool(
            unfit_in, waiting, lambda head: workers.read(check_kept, head), session.workshop.engine
        )
        return replace(contents, unfit=unfit)
    except UnusableDatabase as error:
        waiting.unlink(missing_ok=True)
        raise UnusableDatabase(str(error).replace(str(waiting), "This file")) from None


@router.delete("/backup", status_code=204)
def let_backup_go(session: TheSession) -> None:
    """The backup that waits is not brought in."""
    session.waiting_backup.unlink(missing_ok=True)


@router.post("/backup")
def bring_backup_in(session: TheSession, wish: BringIn) -> BroughtIn:
    """Bring in the backup that waits. In the place of what is here: that is copied first."""
    waiting = session.waiting_backup
    if not waiting.exists():
        raise UnusableDatabase("There is no backup waiting to be brought in: choose its file again.")
    contents = look_into(waiting)
    aside = None
    if wish.how == "replace":
        aside = replace_with(waiting, session.database, then=session.database_changed)
        came = Restored(
            builds=contents.builds, beside=0, here_already=0, wearers=contents.wearers, pictures=contents.pictures
        )
    else:
        came = restore_beside(waiting, session.workshop.engine)
        session.database_changed()
    waiting.unlink(missing_ok=True)
    return BroughtIn(**came.__dict__, copy_of_before=aside.name if aside else None)
