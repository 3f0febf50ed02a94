"""`make stress`: ten minutes of what must not hurt, and what became of it.

Each part has its share of the time and says how far it came; what is lost or answered badly ends it with 1.
"""

import os
import platform
import sys
import tempfile
import time
import warnings
from collections.abc import Callable
from pathlib import Path
from typing import Any

from bench.stress.asking import backups, clients, files, requests
from bench.stress.crowding import crowd
from bench.stress.garbling import garbling
from bench.stress.losing import kills, replacing
from bench.stress.telling import fail, failures, memory_mb, say
from tests.app.test_killed import Served


def part(run: Callable[..., None], *given: Any) -> None:
    """One part to its end; one that breaks off is a failure of the whole."""
    try:
        run(*given)
    except Exception as error:
        fail(f"{run.__name__} broke off: {error!r}")


def main() -> None:
    """All of it, in order."""
    warnings.simplefilter("ignore")
    os.environ.setdefault("NO_PROXY", "127.0.0.1")
    began = time.monotonic()
    say(f"{platform.machine()}, {os.cpu_count()} processors, Python {platform.python_version()}")
    with tempfile.TemporaryDirectory() as folder:
        part(kills, Path(folder) / "killed", 140)  # first: it forks, which no process of many threads may
        part(replacing, Path(folder) / "replaced", 40)
        part(garbling, Path(folder) / "garbled", 110)
        served = Served(Path(folder) / "busy")
        served.start()
        try:
            say(f"a server that did nothing yet: {memory_mb(served.pid):.0f} MB")
            part(crowd, served)
            part(clients, served, 20)
            part(requests, served, 170)
            part(files, served, 50)
        finally:
            served.kill()
        part(backups, Path(folder) / "mended", 60)
    say(f"{time.monotonic() - began:.0f} s; {'nothing lost, nothing answered badly' if not failures else 'FAILED'}")
    sys.exit(bool(failures))


if __name__ == "__main__":
    main()
