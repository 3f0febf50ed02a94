"""A server for many tests, and the workshops that it answers from."""

import datetime
import hashlib
import shutil
import socket
import sqlite3
import tempfile
import threading
import time
from contextlib import closing
from pathlib import Path

import uvicorn
from fastapi import FastAPI
from filelock import FileLock
from starlette.types import Receive, Scope, Send

import fuseau
from fuseau.app.caches import Caches
from fuseau.app.room_server import RoomServer
from fuseau.app.server import make_app, open_session
from fuseau.app.settings import Settings
from fuseau.demo.workshop import fill

KEPT = Path(__file__).parent.parent / ".made" / "demo"  # beside what else is made
_KEPT_S = 86_400


def demo_workshop() -> Path:
    """The demo workshop as this code fills it today, filled once; each test works on a copy."""
    code = sorted(Path(fuseau.__file__).parent.rglob("*.py"))
    of = hashlib.sha256(b"".join(path.read_bytes() for path in code) + str(datetime.date.today()).encode())
    made = KEPT / of.hexdigest()[:16] / "fuseau.db"
    KEPT.mkdir(parents=True, exist_ok=True)
    with FileLock(KEPT / "lock"):
        if not made.is_file():
            for folder in [folder for folder in KEPT.iterdir() if folder.is_dir()]:
                if folder.stat().st_mtime < time.time() - _KEPT_S:
                    shutil.rmtree(folder)
            with tempfile.TemporaryDirectory(dir=KEPT) as folder:
                filled = Path(folder) / "filled" / "fuseau.db"
                filled.parent.mkdir()
                fill(filled)
                copied(filled, Path(folder) / "whole").parent.rename(made.parent)
    return made


def copied(database: Path, folder: Path) -> Path:
    """A copy of a workshop in a folder that is made for it."""
    folder.mkdir(parents=True)
    made = folder / "fuseau.db"
    with closing(sqlite3.connect(database)) as source, closing(sqlite3.connect(made)) as copy:
        source.backup(copy)
    return made


def free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


def caller(port: int, source: str = "127.0.0.1") -> socket.socket:
    """A connection to this machine from one of its own addresses, whose port stays free for others to listen at."""
    calling = socket.socket()
    calling.settimeout(10)
    calling.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    calling.bind((source, 0))
    calling.connect(("127.0.0.1", port))
    return calling


class Room:
    """One server in this process for many tests, each with a workshop of its own.

    What a user starts is `Server`; here the workshop behind one address is exchanged from test to test, so that none
    waits for a process to start, or for routes to be made.
    """

    def __init__(self) -> None:
        self.port = free_port()
        self.url = f"http://127.0.0.1:{self.port}"
        self._app: FastAPI | None = None
        self._caches = Caches()  # what is planned depends on the builds alone, so that tests may share it
        config = uvicorn.Config(
            self._answer, host="127.0.0.1", port=self.port, log_level="warning", lifespan="off", interface="asgi3"
        )
        self._server = uvicorn.Server(config)
        self._thread = threading.Thread(target=self._server.run, daemon=True)

    async def _answer(self, scope: Scope, receive: Receive, send: Send) -> None:
        assert self._app is not None, "no workshop is open"
        await self._app(scope, receive, send)

    @property
    def is_open(self) -> bool:
        """Whether it answers."""
        return self._thread.is_alive()

    def open(self, data: Path) -> None:
        """Answer from the workshop in this folder from now on."""
        if self._app is None:
            self._app = make_app(Settings(data=data))
        self._app.state.session = open_session(Settings(data=data), self._caches)
        self._app.state.room.stop()
        # tests need no network: the room is this machine alone
        news = self._app.state.session.news
        self._app.state.room = RoomServer(
            data / "room", free_port(), lambda: news.tell("devices"), lambda: ("127.0.0.1",)
        )
        if not self._thread.is_alive():
            self._thread.start()
            began = time.perf_counter()
            while not self._server.started and time.perf_counter() - began < 30:
                self._thread.join(0.01)

    def close(self) -> None:
        """Stop answering."""
        self._server.should_exit = True
        if self._app is not None:
            self._app.state.session.news.close()
        self._thread.join(10)
        if self._app is not None:
            self._app.state.room.stop()
            self._app.state.workers.close()
