"""One server a folder: a lock that the system lets go of when its holder ends, however it ends."""

import datetime
import json
import os
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from filelock import FileLock, Timeout

from fuseau.store.opening import UnusableDatabase, keep_private, make_folder, telling

HELD_BY = "fuseau.held.json"


class HeldElsewhere(UnusableDatabase):
    """Another Fuseau has this folder open."""


@contextmanager
def hold(folder: Path, what: str) -> Iterator[None]:
    """Hold the folder while inside. `what` tells others who holds it, such as the address of a server.

    Raises HeldElsewhere, which says who does, or UnusableDatabase where the folder can't be written to.
    """
    opening = f"The workshop in {folder} can't be opened"
    with telling(opening):
        make_folder(folder)
        keep_private(folder)
        locked = folder / "fuseau.lock"
        if locked.is_dir():
            raise UnusableDatabase(f"{locked} is a folder, where Fuseau's lock has to be: move it away.")
        lock = FileLock(locked)
        try:
            lock.acquire(timeout=0)
        except Timeout:
            raise HeldElsewhere(_who(folder)) from None
    held_by = folder / HELD_BY
    try:
        with telling(opening):
            since = datetime.datetime.now().strftime("%H:%M on %d %B")
            held_by.write_text(json.dumps({"what": what, "process": os.getpid(), "since": since}), encoding="utf-8")
        yield
    finally:
        held_by.unlink(missing_ok=True)
        lock.release()


def _who(folder: Path) -> str:
    try:
        found = json.loads((folder / HELD_BY).read_text(encoding="utf-8"))
        who = f"{found['what']} (process {found['process']}, since {found['since']})"
    except (OSError, ValueError, KeyError, TypeError):
        who = "another Fuseau"
    return f"The workshop in {folder} is open already, by {who}. Go on there, or stop it first."
