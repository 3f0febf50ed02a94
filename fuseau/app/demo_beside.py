"""The demo workshop beside one's own: a second Fuseau on this machine, with a folder and an address of its own."""

import contextlib
import http.client
import json
import socket
import subprocess
import sys
import threading
import time
from pathlib import Path

from fuseau.craft.base.errors import Unmakeable
from fuseau.store.holding import HELD_BY

_PATIENCE_S = 60.0


class DemoBeside:
    """Started when it is first asked for, ended with the workshop that it lies beside."""

    def __init__(self, folder: Path) -> None:
        self._folder = folder
        self._lock = threading.Lock()
        self._process: subprocess.Popen[bytes] | None = None
        self._url = ""

    def open(self) -> str:
        """Its address, once it answers. Raises Unmakeable at `demo` where it doesn't start."""
        with self._lock:
            if self._process is not None and self._process.poll() is None:
                return self._url
            held = _held_at(self._folder)
            if held and _answers(held):  # somebody started it already
                return held
            with socket.socket() as probe:
                probe.bind(("127.0.0.1", 0))
                port = int(probe.getsockname()[1])
            self._url = f"http://127.0.0.1:{port}"
            command = [sys.executable, "-m", "fuseau", "demo", "--port", str(port), "--data", str(self._folder)]
            self._process = subprocess.Popen(command, stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
            began = time.monotonic()
            while time.monotonic() - began < _PATIENCE_S and self._process.poll() is None:
                if _answers(self._url):
                    return self._url
                time.sleep(0.1)
            self._end()
            raise Unmakeable("demo", "demo.not_started")

    def close(self) -> None:
        """End it."""
        with self._lock:
            self._end()

    def _end(self) -> None:
        if self._process is not None:
            self._process.terminate()
            with contextlib.suppress(subprocess.TimeoutExpired):
                self._process.wait(10)
            self._process = None


def _held_at(folder: Path) -> str:
    """The address of the Fuseau that has this folder open, or nothing."""
    try:
        what = json.loads((folder / HELD_BY).read_text(encoding="utf-8"))["what"]
    except (OSError, ValueError, KeyError, TypeError):
        return ""
    return what if isinstance(what, str) and what.startswith("http://127.0.0.1:") else ""


def _answers(url: str) -> bool:
    connection = http.client.HTTPConnection(url.removeprefix("http://"), timeout=5)
    try:
        connection.request("GET", "/api/house")
        return connection.getresponse().status == 200
    except (OSError, http.client.HTTPException):
        return False
    finally:
        connection.close()
