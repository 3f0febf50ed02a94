"""What was acknowledged stays: through kill -9, and on a disk that is full."""

import os
import random
import signal
import subprocess
import sys
import threading
import time
from collections.abc import Callable
from contextlib import suppress
from pathlib import Path

import httpx
import pytest
import uvicorn

from fuseau.app.server import make_app
from fuseau.app.settings import Settings
from fuseau.store.holding import hold
from fuseau.store.opening import look_at
from tests.conftest import MEASURES
from tests.serving import free_port
from tests.store.test_opening import FORK, tmpfs

KILLS = 10


class Served:
    """`fuseau serve` in a process that can be killed."""

    def __init__(self, folder: Path) -> None:
        self.folder, self.port = folder, free_port()
        self.url = f"http://127.0.0.1:{self.port}"
        self._process: subprocess.Popen[bytes] | None = None

    def start(self) -> None:
        """Until it answers."""
        self._process = subprocess.Popen(
            [sys.executable, "-m", "fuseau", "serve", "--port", str(self.port), "--data", str(self.folder)],
            stdout=subprocess.DEVNULL,
            env={**os.environ, "FUSEAU_WARM": "false"},
        )
        self._await(lambda: self._process is not None and self._process.poll() is None)

    def _await(self, alive: Callable[[], bool]) -> None:
        end, heard = time.monotonic() + 60, ""
        while time.monotonic() < end:
            try:
                answer = httpx.get(f"{self.url}/api/house", timeout=5)
                if answer.status_code == 200:
                    return
                heard = answer.text
            except httpx.HTTPError as error:
                assert alive(), "the server did not start"
                heard = repr(error)
                time.sleep(0.02)
        raise AssertionError(f"the server does not answer but with {heard[:300]}")

    @property
    def pid(self) -> int:
        """The number of its process."""
        assert self._process is not None
        return self._process.pid

    def kill(self) -> None:
        """At once, as a power cut would."""
        assert self._process is not None
        self._process.send_signal(signal.SIGKILL)
        self._process.wait()

    def close(self) -> None:
        """The same, for what closes what it opened."""
        self.kill()


class Forked(Served):
    """The same, from a process that has everything imported: it starts at once, and dies as any other."""

    def start(self) -> None:
        """Until it answers."""
        self._child = FORK.Process(target=self._serve)
        self._child.start()
        self._await(lambda: self._child.is_alive())

    def _serve(self) -> None:
        settings = Settings(port=self.port, data=self.folder, warm=False)
        with hold(self.folder, self.url):
            uvicorn.run(make_app(settings), host=settings.host, port=settings.port, log_level="critical")

    def kill(self) -> None:
        """At once, as a power cut would."""
        self._child.kill()
        self._child.join()


def measured_build(client: httpx.Client) -> dict:
    line = client.post("/api/builds", json={"name": "Tidewarden"}).json()
    changes = [{"at": f"wearer.{name}", "value": level} for name, level in MEASURES.items()]
    body = {"revision": line["revision"], "changes": changes}
    return client.post(f"/api/builds/{line['id']}/changes", json=body).json()


def edit_until_it_dies(url: str, build: str, kept: list[tuple[int, str]]) -> None:
    """Edits one after the other; each that was answered is written down."""
    with httpx.Client(base_url=url, timeout=20) as client:
        try:
            revision = client.get(f"/api/builds/{build}").json()["revision"]
            for number in range(10_000):
                note = f"note {number} after {revision}"
                body = {"revision": revision, "changes": [{"at": "brief.note", "value": note}]}
                answer = client.post(f"/api/builds/{build}/changes", json=body)
                if answer.status_code == 200:
                    revision = answer.json()["revision"]
                    kept.append((revision, note))
        except (httpx.HTTPError, ValueError):
            return


def lost(client: httpx.Client, build: str, kept: list[tuple[int, str]]) -> list[int]:
    """Acknowledged edits that the history does not have, or not the last of them."""
    history = {one["revision"] for one in client.get(f"/api/builds/{build}/history").json()}
    missing = [revision for revision, _ in kept[-150:] if revision not in history]
    note = client.get(f"/api/builds/{build}").json()["build"]["brief"]["note"]
    if kept and note != kept[-1][1] and not note.startswith("note "):
        missing.append(kept[-1][0])
    return missing


@pytest.mark.long
def test_no_acknowledged_edit_is_lost_through_ten_kills(tmp_path):
    served, seeded = Forked(tmp_path), random.Random(11)
    served.start()
    with httpx.Client(base_url=served.url, timeout=30) as client:
        build = measured_build(client)["id"]
    kept: list[tuple[int, str]] = []
    for _ in range(KILLS):
        writer = threading.Thread(target=edit_until_it_dies, args=(served.url, build, kept))
        before = len(kept)
        writer.start()
        end = time.monotonic() + 30
        while len(kept) < before + 3 and time.monotonic() < end:
            time.sleep(0.01)
        time.sleep(seeded.random() * 0.1)  # somewhere within an edit
        served.kill()
        writer.join(30)
        assert look_at(tmp_path / "fuseau.db") is not None
        served.start()
        with httpx.Client(base_url=served.url, timeout=30) as client:
            assert lost(client, build, kept) == []
    served.kill()
    assert len(kept) >= 3 * KILLS


def test_a_full_disk_is_told_nothing_is_lost_and_it_goes_on_when_there_is_room(tmp_path):
    with tmpfs(tmp_path / "disk", "size=3m") as disk:
        served = Forked(disk)
        served.start()
        try:
            with httpx.Client(base_url=served.url, timeout=60) as client:
                build = measured_build(client)
                filler = disk / "photos"
                with filler.open("wb", buffering=0) as file, suppress(OSError):
                    while True:
                        file.write(bytes(4096))
                revision, kept, answer = build["revision"], None, None
                for number in range(200):
                    body = {"revision": revision, "changes": [{"at": "brief.note", "value": f"{number}" * 900}]}
                    answer = client.post(f"/api/builds/{build['id']}/changes", json=body)
                    if answer.status_code != 200:
                        break
                    revision, kept = answer.json()["revision"], body["changes"][0]["value"]
                assert answer.status_code == 507, answer.text[:300]
                assert "Make room, then do it again" in answer.json()["sentence"]
                now = client.get(f"/api/builds/{build['id']}").json()
                assert now["revision"] == revision
                assert now["build"]["brief"]["note"] == (kept or "")
                filler.unlink()
                again = client.post(f"/api/builds/{build['id']}/changes", json=body)
                assert again.status_code == 200, again.text[:300]
                assert again.json()["build"]["brief"]["note"] == body["changes"][0]["value"]
        finally:
            served.kill()
