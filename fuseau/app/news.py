"""What changed, told to every open page as it happens (server-sent events)."""

import asyncio
import json
import threading
from collections.abc import AsyncIterator
from typing import Any

STILL_HERE_S = 15.0
_MOST_WAITING = 64
_Told = tuple[asyncio.AbstractEventLoop, "asyncio.Queue[str | None]"]


class News:
    """Pages that listen; whoever changes something tells them, from any thread."""

    def __init__(self) -> None:
        self._listening: set[_Told] = set()
        self._lock = threading.Lock()

    def tell(self, what: str, **about: Any) -> None:
        """Tell every page. One that takes nothing in for long misses what comes then, and asks anew when it wakes."""
        self._give(f"event: {what}\ndata: {json.dumps(about)}\n\n")

    def close(self) -> None:
        """End what every page listens to."""
        self._give(None)

    async def listen(self) -> AsyncIterator[str]:
        """What a page is told, from now on until it leaves or all is closed; a comment now and then keeps it open."""
        queue: asyncio.Queue[str | None] = asyncio.Queue()
        mine = (asyncio.get_running_loop(), queue)
        with self._lock:
            self._listening.add(mine)
        try:
            yield "retry: 2000\n\n"
            while True:
                try:
                    text = await asyncio.wait_for(queue.get(), STILL_HERE_S)
                except TimeoutError:
                    yield ": still here\n\n"
                    continue
                if text is None:
                    return
                yield text
        finally:
            with self._lock:
                self._listening.discard(mine)

    def _give(self, text: str | None) -> None:
        with self._lock:
            listening = list(self._listening)
        for loop, queue in listening:
            if queue.qsize() < _MOST_WAITING or text is None:
                try:
                    loop.call_soon_threadsafe(queue.put_nowait, text)
                except RuntimeError:  # its loop has ended
                    with self._lock:
                        self._listening.discard((loop, queue))
