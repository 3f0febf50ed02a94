"""What could lose work: kill -9 in the middle of anything, and backups that take the workshop's place under writers."""

import itertools
import random
import sqlite3
import threading
import time
from collections import Counter
from contextlib import closing
from pathlib import Path
from typing import Any

import httpx

from bench.stress.telling import fail, say
from fuseau.store.backup import write_backup
from tests.app.conftest import FILE
from tests.app.test_killed import Forked, Served, measured_build

KILLS, REPLACED = 100, 25
_WRITERS = ("Ada", "Berta", "Cosima")


class Told:
    """What was answered, and so has to be there: revisions of the build, pieces on the shelf, the workshop's words."""

    def __init__(self) -> None:
        self.revisions: list[int] = []
        self.pieces = 0
        self.hourly_rate: float | None = None
        self.by_kind: Counter[str] = Counter()

    @property
    def count(self) -> int:
        """How many answers."""
        return sum(self.by_kind.values())


def work_until_it_dies(url: str, build: str, told: Told, rng: random.Random) -> None:
    """Anything that a maker does, one after the other; what was answered is written down."""
    with httpx.Client(base_url=url, timeout=20) as client:
        try:
            while True:
                kind = rng.choices(["edit", "shelf", "make", "restore", "undo", "settings"], [6, 3, 2, 1, 2, 2])[0]
                _do(client, build, kind, told, rng)
        except (httpx.HTTPError, ValueError):
            return


def _do(client: httpx.Client, build: str, kind: str, told: Told, rng: random.Random) -> None:
    path = f"/api/builds/{build}"
    if kind == "shelf":
        piece = {"sort": "grommets", "name": "grommet_5", "label": "grommets", "count": told.pieces + 1}
        answer = client.post("/api/shelf/pieces", json={"pieces": [piece]})
        told.pieces += answer.status_code == 201
    elif kind == "settings":
        rate = float(rng.randint(5, 60))
        answer = client.patch("/api/house", json={"hourly_rate": rate})
        told.hourly_rate = rate if answer.status_code == 200 else told.hourly_rate
    else:
        revision = client.get(path).json()["revision"]
        answer = _post(client, *_on_build(client, path, kind, revision, rng))
        if answer.status_code == 200:
            told.revisions.append(answer.json()["revision"])
    told.by_kind[kind] += answer.status_code < 300
    if answer.status_code >= 500:
        fail(f"{kind}: {answer.status_code} {answer.text[:160]}")


def _post(client: httpx.Client, path: str, body: dict[str, Any]) -> httpx.Response:
    return client.post(path, json=body)


def _on_build(
    client: httpx.Client, path: str, kind: str, revision: int, rng: random.Random
) -> tuple[str, dict[str, Any]]:
    if kind == "make" and (left := client.get(f"{path}/make").json()["make"]["order"]):
        return f"{path}/make/do", {"revision": revision, "step": left[0], "anyhow": True}
    if kind == "restore":
        past = client.get(f"{path}/history").json()
        return f"{path}/restore", {"revision": revision, "to": rng.choice(past)["revision"]}
    if kind == "undo":
        return f"{path}/undo", {"revision": revision}
    change = {"at": "brief.note", "value": f"note {rng.random()}"}
    return f"{path}/changes", {"revision": revision, "changes": [change]}


def kills(folder: Path, for_s: float) -> None:
    """Kill -9 in the middle of anything, and look at everything after each."""
    served, rng, end, told = Forked(folder), random.Random(7), time.monotonic() + for_s, Told()
    served.start()
    with httpx.Client(base_url=served.url, timeout=30) as client:
        build = measured_build(client)["id"]
    done = lost = 0
    while done < KILLS and time.monotonic() < end:
        before = told.count
        worker = threading.Thread(target=work_until_it_dies, args=(served.url, build, told, rng))
        worker.start()
        late = time.monotonic() + 30
        while told.count < before + 3 and time.monotonic() < late:
            time.sleep(0.005)
        time.sleep(rng.random() * 0.08)
        served.kill()
        worker.join(30)
        done += 1
        served.start()
        with httpx.Client(base_url=served.url, timeout=30) as client:
            gone = _gone(client, build, told)
        lost += len(gone)
        for what in gone:
            fail(f"after kill {done}: {what}")
    served.kill()
    say(f"kills: {done} of {KILLS}; {told.count} answered {dict(told.by_kind)}, {lost} lost")


def _gone(client: httpx.Client, build: str, told: Told) -> list[str]:
    """What was answered and is not there. One more of the last kind may be there, that nobody was told of."""
    history = client.get(f"/api/builds/{build}/history")
    there = {past["revision"] for past in history.json()} if history.status_code == 200 else set()
    gone = [f"revision {number}" for number in told.revisions if number not in there]
    pieces = client.get("/api/shelf").json()["pieces"]
    if not told.pieces <= len(pieces) <= told.pieces + 1:
        gone.append(f"{told.pieces} pieces were put on the shelf, {len(pieces)} lie there")
    told.pieces = len(pieces)
    client.get("/api/house").raise_for_status()
    return gone


def replacing(folder: Path, for_s: float) -> None:
    """Backups that take the workshop's place, again and again, while three write."""
    served, end = Served(folder), time.monotonic() + for_s
    served.start()
    try:
        with httpx.Client(base_url=served.url, timeout=60) as client:
            build = measured_build(client)["id"]
            backup = folder / "old.fuseau-backup"
            write_backup(folder / "fuseau.db", backup)
            answered, ended, refused = [], threading.Event(), Counter[int]()

            def write(who: str) -> None:
                with httpx.Client(base_url=served.url, timeout=60) as mine:
                    for k in itertools.count():
                        if ended.is_set():
                            return
                        revision = mine.get(f"/api/builds/{build}").json()["revision"]
                        note = f"{who} {k}"
                        body = {"revision": revision, "changes": [{"at": "brief.note", "value": note}]}
                        answer = mine.post(f"/api/builds/{build}/changes", json=body)
                        if answer.status_code == 200:
                            answered.append(note)
                        else:
                            refused[answer.status_code] += 1

            writers = [threading.Thread(target=write, args=(who,)) for who in _WRITERS]
            for writer in writers:
                writer.start()
            asides: list[Path] = []
            while len(asides) < REPLACED and time.monotonic() < end:
                client.put("/api/backup", content=backup.read_bytes(), headers=FILE).raise_for_status()
                came = client.post("/api/backup", json={"how": "replace"})
                if came.status_code != 200:
                    fail(f"replacing: {came.status_code} {came.text[:160]}")
                    break
                asides.append(folder / came.json()["copy_of_before"])
            ended.set()
            for writer in writers:
                writer.join(60)
        kept: set[str] = set()
        for database in (folder / "fuseau.db", *asides):
            with closing(sqlite3.connect(database)) as connection:
                rows = connection.execute("select json_extract(document, '$.brief.note') from revision")
                kept |= {note for (note,) in rows}
        lost = set(answered) - kept
        if lost or set(refused) - {409}:
            fail(f"replacing: {len(lost)} answered edits are in neither; refused {dict(refused)}")
    finally:
        served.kill()
    say(
        f"replacing: {len(asides)} of {REPLACED} under {len(_WRITERS)} writers; {len(answered)} edits answered, "
        f"{sum(refused.values())} refused, {len(lost)} lost"
    )
