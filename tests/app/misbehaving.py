"""Work that goes wrong, for worker processes: apart from the tests, since a worker imports what it is sent."""

import os
import time

from fuseau.craft.base.errors import Unmakeable
from fuseau.files.unreadable import UnreadableFile


def forever() -> None:
    """Never ends."""
    while True:
        time.sleep(0.01)


def busily() -> None:
    """Never ends, and takes a processor."""
    while True:
        pass


def within_a_library() -> int:
    """Takes a processor for half a minute, and hears nothing meanwhile."""
    return pow(3, 10**8) & 1


def slowly() -> float:
    """Takes a while; when it ended."""
    time.sleep(0.4)
    return time.monotonic()


def greedy() -> int:
    """Wants two gigabytes."""
    return len(bytearray(2_000_000_000))


def dying() -> None:
    """Takes its process with it."""
    os._exit(9)


def refusing() -> None:
    """Raises what the craft does."""
    raise Unmakeable("front.line", "no_opening_seam", line="8·9", panels=6)


def reading_badly() -> None:
    """Raises what reading a file does."""
    raise UnreadableFile("This file is odd.")
