"""Clients at once, fuzzed requests, odd numbers, mutated files and mutated backups, over the wire."""

import json
import random
import sqlite3
import threading
import time
from collections import Counter
from contextlib import closing, suppress
from pathlib import Path

import httpx
from hypothesis import given
from hypothesis import strategies as st

from bench.stress.telling import batches, fail, memory_mb, say
from fuseau.store.backup import write_backup
from tests.app.conftest import FILE
from tests.app.test_any_request import operations
from tests.app.test_garbled import COLUMNS, GARBLED, as_kept
from tests.app.test_killed import Served, measured_build
from tests.app.test_odd_numbers import ODD, with_odd_number
from tests.app.test_odd_requests import ANYTHING, PLACES
from tests.files.test_mutated import READERS, after_accidents, mutated

CLIENTS, REQUESTS, FILES, BACKUPS = 16, 10_000, 1_000, 300
SLOWEST_S = 5.0


def clients(served: Served, for_s: float) -> None:
    """Sixteen at once, each with a build of its own and a look at everything else."""
    end, counted, guard = time.monotonic() + for_s, Counter[str](), threading.Lock()
    waits: list[float] = []

    def work(number: int) -> None:
        rng = random.Random(number)
        with httpx.Client(base_url=served.url, timeout=120) as client:
            sheet = measured_build(client)
            while time.monotonic() < end:
                what = rng.random()
                began = time.perf_counter()
                if what < 0.6:
                    change = {"at": "target.gap_mm", "value": rng.randint(20, 70)}
                    body = {"revision": sheet["revision"], "changes": [change]}
                    answer = client.post(f"/api/builds/{sheet['id']}/changes", json=body)
                    if answer.status_code == 200:
                        sheet = answer.json()
                    with guard:
                        waits.append(time.perf_counter() - began)
                else:
                    path = rng.choice(["", "/history", "/pattern.svg", "/list.pdf", "/readiness"])
                    answer = client.get(f"/api/builds/{sheet['id']}{path}" if what < 0.95 else "/api/builds")
                with guard:
                    counted[f"{answer.status_code // 100}xx"] += 1
                    if answer.status_code >= 500 and answer.status_code != 503:
                        fail(f"{answer.request.url.path}: {answer.text[:120]}")
            now = client.get(f"/api/builds/{sheet['id']}").json()
            if now["revision"] != sheet["revision"]:
                fail(f"client {number}: its last edit is not the present state")

    threads = [threading.Thread(target=work, args=(number,)) for number in range(CLIENTS)]
    for one in threads:
        one.start()
    for one in threads:
        one.join()
    waits.sort()
    middle, worst = (waits[len(waits) // 2], waits[int(len(waits) * 0.95)]) if waits else (0.0, 0.0)
    say(
        f"clients: {CLIENTS} at once for {for_s} s; {sum(counted.values())} answers {dict(counted)}; "
        f"an edit {middle * 1000:.0f} ms, 95 % under {worst * 1000:.0f} ms; server {memory_mb(served.pid):.0f} MB"
    )


def requests(served: Served, for_s: float) -> None:
    """Fuzzed edits, requests from the API's own description, and the same with odd numbers in them."""
    end, counted = time.monotonic() + for_s, Counter[int]()
    before = memory_mb(served.pid)
    with httpx.Client(base_url=served.url, timeout=120) as client:
        sheet = measured_build(client)

        def judge(answer: httpx.Response, what: str) -> None:
            counted[answer.status_code] += 1
            if answer.elapsed.total_seconds() > SLOWEST_S and answer.status_code >= 400:
                fail(f"{what}: refused after {answer.elapsed.total_seconds():.1f} s")
            if answer.status_code >= 500:
                fail(f"{what}: {answer.status_code} {answer.text[:160]}")

        @given(PLACES, ANYTHING)
        def odd_edits(at: str, value: object) -> None:
            body = json.dumps({"revision": sheet["revision"], "changes": [{"at": at, "value": value}]})
            path = f"/api/builds/{sheet['id']}/trial"
            headers = {"content-type": "application/json"}
            judge(client.post(path, content=body.encode(errors="surrogatepass"), headers=headers), f"trial at {at!a}")

        described = sorted(
            one for one in operations() if not any(part in one for part in ("/backup", "/house", "/events"))
        )

        @given(st.data())
        def described_requests(data: st.DataObject) -> None:
            label = data.draw(st.sampled_from(described))
            case = data.draw(operations()[label].as_strategy())
            if data.draw(st.booleans()):
                case = with_odd_number(case, data.draw(st.sampled_from(ODD)), data)
            if case.path_parameters and "build_id" in case.path_parameters and "DELETE" not in label:
                case.path_parameters["build_id"] = sheet["id"]
            asked = case.as_transport_kwargs(base_url=served.url)
            names = ("method", "url", "params", "json", "headers")
            sent = {name: asked[name] for name in names if asked.get(name) is not None}
            if isinstance(asked.get("data"), bytes | str):
                sent["content"] = asked["data"]
            try:
                judge(client.request(**sent), label)
            except (httpx.InvalidURL, UnicodeEncodeError):
                return

        batches(REQUESTS // 2, end - for_s / 2, odd_edits)
        batches(REQUESTS // 2, end, described_requests)
        if client.get("/api/builds").status_code != 200:
            fail("the list does not answer any more")
    by_kind = Counter(f"{status // 100}xx" for status in counted.elements())
    say(
        f"requests: {sum(counted.values())} of {REQUESTS} fuzzed; {dict(by_kind)}; server {before:.0f} → "
        f"{memory_mb(served.pid):.0f} MB"
    )


def files(served: Served, for_s: float) -> None:
    """Mutated files over the wire, each read in the worker."""
    end, counted = time.monotonic() + for_s, Counter[str]()
    paths = {
        "json": "/api/builds/import",
        "letter": None,
        "svg": "/api/drawings?name=a.svg",
        "curves.svg": "/api/drawings?name=a.svg&unit=mm",
        "dxf": "/api/drawings?name=a.dxf",
    }
    before, slowest = memory_mb(served.pid), [0.0]
    with httpx.Client(base_url=served.url, timeout=120) as client:
        sheet = measured_build(client)
        paths["letter"] = f"/api/builds/{sheet['id']}/letter?revision=1"

        @given(st.data())
        def mutated_files(data: st.DataObject) -> None:
            kind = data.draw(st.sampled_from(sorted(READERS)))
            path = paths.get(kind) or f"/api/photos?name=a.{kind.replace('jpeg', 'jpg')}"
            answer = client.post(path, content=data.draw(mutated(kind)), headers=FILE)
            slowest[0] = max(slowest[0], answer.elapsed.total_seconds())
            counted[f"{answer.status_code // 100}xx"] += 1
            if answer.status_code >= 500:
                fail(f"{kind}: {answer.status_code} {answer.text[:160]}")

        batches(FILES, end, mutated_files)
        if client.get("/api/builds").status_code != 200:
            fail("the list does not answer any more")
    say(
        f"files: {sum(counted.values())} of {FILES} mutated; {dict(counted)}; the slowest {slowest[0]:.1f} s; server "
        f"{before:.0f} → {memory_mb(served.pid):.0f} MB"
    )
    if slowest[0] > SLOWEST_S:
        fail(f"a file took {slowest[0]:.1f} s")


def backups(folder: Path, for_s: float) -> None:
    """Backups after accidents to their bytes or their rows: looked into, and brought in where they can be."""
    served, tried = Served(folder), 0
    counted, slowest, whole = Counter[str](), [0.0], folder / "whole.fuseau-backup"
    served.start()
    with closing(served), httpx.Client(base_url=served.url, timeout=120) as client:
        measured_build(client)
        write_backup(folder / "fuseau.db", whole)
        content, end = whole.read_bytes(), time.monotonic() + for_s

        def judge(answer: httpx.Response, what: str) -> None:
            counted[f"{answer.status_code // 100}xx"] += 1
            slowest[0] = max(slowest[0], answer.elapsed.total_seconds())
            if answer.status_code >= 500:
                fail(f"backup, {what}: {answer.status_code} {answer.text[:160]}")

        def bring_in(odd: bytes, how: str) -> None:
            nonlocal tried
            tried += 1
            held = client.put("/api/backup", content=odd, headers=FILE)
            judge(held, "looked into")
            if held.status_code == 200:
                judge(client.post("/api/backup", json={"how": how}), how)
            lines = client.get("/api/builds")
            if lines.status_code != 200:
                fail(f"the list after a backup: {lines.status_code} {lines.text[:160]}")

        @given(st.data())
        def odd_bytes(data: st.DataObject) -> None:
            bring_in(data.draw(after_accidents(content)), "beside")

        @given(st.data())
        def odd_rows(data: st.DataObject) -> None:
            whole.write_bytes(content)
            table, column = data.draw(st.sampled_from(COLUMNS))
            with suppress(sqlite3.Error), closing(sqlite3.connect(whole)) as rows, rows:
                rows.execute("pragma foreign_keys=off")
                value = data.draw(st.sampled_from(GARBLED))
                rows.execute(f"update {table} set {column} = {as_kept(value)}", {"value": value})
            bring_in(whole.read_bytes(), data.draw(st.sampled_from(["beside", "replace"])))

        batches(BACKUPS // 2, end - for_s / 2, odd_bytes)
        batches(BACKUPS // 2, end, odd_rows)
    say(f"backups: {tried} of {BACKUPS} with accidents; {dict(counted)}; the slowest answer {slowest[0]:.1f} s")
