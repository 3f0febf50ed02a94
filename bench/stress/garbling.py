"""Every column of every table garbled by every value: no list and no page may go down with it."""

import shutil
import time
from pathlib import Path

from fastapi.testclient import TestClient

from bench.stress.telling import fail, say
from fuseau.app.server import make_app
from fuseau.app.settings import Settings
from fuseau.store.backup import write_backup
from fuseau.store.opening import put_in_place
from tests.app.conftest import HOST
from tests.app.test_garbled import COLUMNS, GARBLED, PAGES, WORKED_OUT, garble, mark
from tests.app.test_killed import measured_build


def garbling(folder: Path, for_s: float) -> None:
    """All of them, or as many as there is time for."""
    app, tried, asked, end = make_app(Settings(data=folder, warm=False)), 0, 0, time.monotonic() + for_s
    try:
        client = TestClient(app, base_url=HOST)
        session = app.state.session
        mine = measured_build(client)
        other = mark(client, mine)
        whole = folder / "whole"
        write_backup(session.database, whole)
        for value in GARBLED:
            for table, column in COLUMNS:
                if time.monotonic() > end:
                    break
                put_in_place(whole, session.database)
                if not garble(session.database, table, column, value, mine["id"]):
                    continue
                session.database_changed()
                tried += 1
                pages = (*PAGES, *WORKED_OUT) if tried % 5 == 0 else PAGES
                for page in pages:
                    asked += 1
                    answer = client.get(page)
                    if answer.status_code != 200:
                        fail(f"{table}.{column} = {value!r}: {page} answers {answer.status_code} {answer.text[:120]}")
                lines = [*client.get("/api/builds").json(), *client.get("/api/builds?archived=true").json()]
                alive = {line["id"] for line in lines if line["trouble"] is None}
                if other["id"] not in alive and column not in ("deleted_at", "id", "build_id"):
                    fail(f"{table}.{column} = {value!r} took another build with it")
    finally:
        app.state.workers.close()
        shutil.rmtree(folder, ignore_errors=True)
    say(f"garbling: {tried} values in {len(COLUMNS)} columns, {asked} pages asked")
