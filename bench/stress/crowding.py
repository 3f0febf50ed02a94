"""A crowd at the room's door that says nothing, while the laptop works."""

import itertools
import random
import socket
import statistics
import threading
import time
from collections.abc import Iterable
from contextlib import suppress

import httpx

from bench.stress.telling import fail, say
from tests.app.test_killed import Served, measured_build
from tests.serving import caller

CROWD, ADDRESSES, EDITS = 1_500, 60, 80
_MORE_A_SECOND = 50


def crowd(served: Served) -> None:
    """The laptop's edits at rest, and beside silent connections from many addresses, others in place of those ended."""
    with httpx.Client(base_url=served.url, timeout=60) as client:
        opened = client.put("/api/room/open")
        if opened.status_code != 200:
            say(f"crowd: not tried, {opened.json()['sentence']}")
            return
        port = int(opened.json()["urls"][0].rsplit(":", 1)[1])
        sheet = measured_build(client)
        _edits(client, sheet)
        calm = _edits(client, sheet)
        leave = threading.Event()
        held = _come(port, range(CROWD))
        others = threading.Thread(target=_go_on_coming, args=(port, leave))
        others.start()
        crowded = _edits(client, sheet)
        leave.set()
        others.join()
        client.delete("/api/room/open")
        for one in held:
            one.close()
    say(
        f"crowd: {len(held)} of {CROWD} silent connections from {ADDRESSES} addresses, then {_MORE_A_SECOND} a second; "
        f"an edit at rest {_ms(statistics.median(calm))}, the worst {_ms(max(calm))}; beside it "
        f"{_ms(statistics.median(crowded))}, the worst {_ms(max(crowded))}"
    )
    if max(crowded) > 2 * max(calm):
        fail("the laptop waits for a crowd in its room")


def _ms(seconds: float) -> str:
    return f"{seconds * 1000:.0f} ms"


def _edits(client: httpx.Client, sheet: dict) -> list[float]:
    waits, rng = [], random.Random(3)
    for _ in range(EDITS):
        revision = client.get(f"/api/builds/{sheet['id']}").json()["revision"]
        change = {"at": "target.gap_mm", "value": rng.randint(20, 70)}
        began = time.perf_counter()
        answer = client.post(f"/api/builds/{sheet['id']}/changes", json={"revision": revision, "changes": [change]})
        waits.append(time.perf_counter() - began)
        answer.raise_for_status()
    return waits


def _come(port: int, numbers: Iterable[int]) -> list[socket.socket]:
    held = []
    for number in numbers:
        with suppress(OSError):
            held.append(caller(port, f"127.0.1.{1 + number % ADDRESSES}"))
    return held


def _go_on_coming(port: int, leave: threading.Event) -> None:
    held: list[socket.socket] = []
    for number in itertools.count():
        if leave.wait(1 / _MORE_A_SECOND):
            break
        held += _come(port, [number])
    for one in held:
        one.close()
