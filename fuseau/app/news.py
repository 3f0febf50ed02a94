"""What changed, told to every open page as it happens (server-sent events)."""

import asyncio
import json
import threading
from collections import deque
from collections.abc import AsyncIterator
from typing import Any

STILL_HERE_S = 15.0
_MOST_WAITING = 64
_MOST_KEPT = 48
_Told = tuple[asyncio.AbstractEventLoop, "asyncio.Queue[str | None]"]


class News:
    """Pages that listen; whoever changes something tells them, from any thread."""

    def __init__(self) -> None:
        self._listening: set[_Told] = set()
        self._kept: deque[tuple[int, str]] = deque(maxlen=_MOST_KEPT)
        self._number = 0
        self._closed = False
        self._lock = threading.Lock()

    def tell(self, what: str, **about: Any) -> None:
        """Tell every page; the last ones are kept for those that come back."""
        with self._lock:
            self._number += 1
            text = f"id: {self._number}\nevent: {what}\ndata: {json.dumps(about)}\n\n"
            self._kept.append((self._number, text))
        self._give(text)

    def close(self) -> None:
        """End what every page listens to, and let none begin."""
        with self._lock:
            self._closed = True
        self._give(None)

    async def listen(self, after: int | None = None) -> AsyncIterator[str]:
        """What a page is told until it leaves or all is closed; a comment now and then keeps it open.

        From now on, or `after` what it heard last, as far as that is kept still.
        """
        queue: asyncio.Queue[str | None] = asyncio.Queue()
        mine = (asyncio.get_running_loop(), queue)
        with self._lock:
            if self._closed:
                return
            self._listening.add(mine)
            missed = [text for number, text in self._kept if after is not None and number > after]
            now = self._number
            oldest = self._kept[0][0] if self._kept else now + 1
        # what was heard last is no longer kept, or of a server that was there before: it has to look for itself
        whole = after is None or oldest - 1 <= after <= now
        begin = json.dumps({"whole": whole})
        try:
            yield f"retry: 2000\nid: {after if missed else now}\nevent: begin\ndata: {begin}\n\n"
            for one in missed:
                yield one
            while True:
                try:
                    text: str | None = await asyncio.wait_for(queue.get(), STILL_HERE_S)
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
