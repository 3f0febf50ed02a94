"""Processes beside the server, so that an edit never waits and no file from outside can hang or fill it.

One reads files and makes prints, for which somebody waits. The other works out what takes long (odds, story, schools,
cutting), one after the other and with less right to the processor; of the same question on the same build the newest
wins. Both are bounded in memory and in seconds of a processor: waiting in line, or beside a busy one, counts for
nothing. A process that is past its time, or no longer wanted, is ended and another takes its place.
"""

import multiprocessing
import os
import signal
import sys
import threading
from collections.abc import Callable
from concurrent.futures import CancelledError, wait
from concurrent.futures import TimeoutError as TookTooLong
from ctypes import c_double
from dataclasses import dataclass
from typing import Any, Literal

from pebble import ProcessExpired, ProcessFuture, ProcessPool

from fuseau.app import work
from fuseau.app.connections import has_left
from fuseau.app.work import Answer, Given
from fuseau.files.unreadable import UnreadableFile

READING_S = 10.0  # of a processor, as the two that follow
_PRINTING_S = 60.0
_THINKING_S = 120.0
_STUCK = 12.0  # times as long by the clock, and it is waiting for something that won't come
_GRACE_S = 1.0
_LOOK_S = 0.5
_ENDED_FOR_TIME = -getattr(signal, "SIGPROF", 0)

Question = Literal["odds", "story", "schools", "cutting", "marker", "ways", "by shelf", "shopping", "work", "gains"]


class Stopped(RuntimeError):
    """What was asked for was stopped, or asked again of a newer state of the build."""


class Overrun(RuntimeError):
    """What was asked for took longer, or more memory, than it may. The message is a sentence."""


@dataclass(frozen=True)
class Underway:
    """Something that is being worked out: what, and the share that is done (None while it waits for its turn)."""

    what: Question
    share: float | None


@dataclass
class _Thought:
    """A question on a build as it was at a revision, and its answer to come."""

    revision: object
    future: "ProcessFuture[Any]"
    asking: int = 0


class Workers:
    """The processes of one server; they start with the first that is asked of them.

    `give_way`: by so much the one that thinks is nicer than the server.
    """

    def __init__(self, give_way: int = 0) -> None:
        os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")  # inherited: a worker takes one processor, not all
        self._context = multiprocessing.get_context("spawn" if sys.platform == "win32" else "forkserver")
        if sys.platform != "win32":
            self._context.set_forkserver_preload(["fuseau.app.work", "fuseau.files.intake"])
        self._give_way = give_way
        self._guard = threading.Lock()
        self._asked: ProcessPool | None = None
        self._thinking: ProcessPool | None = None
        self._share = self._context.RawValue(c_double, 0.0)  # one writes, and half a number does no harm
        self._thoughts: dict[tuple[str, Question], _Thought] = {}
        self._ending = False

    def warm(self) -> None:
        """Start the processes before they are asked, so that the first answer does not wait for them."""
        self._asked_pool()
        self._thinking_pool()

    def read(self, function: Callable[Given, Answer], *args: Given.args, **kwargs: Given.kwargs) -> Answer:
        """What a file from outside holds. Raises UnreadableFile also where it takes more than ten seconds or memory."""
        try:
            return self._ask(READING_S, function, *args, **kwargs)
        except Overrun as error:
            raise UnreadableFile(str(error)) from None

    def make(self, function: Callable[Given, Answer], *args: Given.args, **kwargs: Given.kwargs) -> Answer:
        """Something that is printed. Raises what `function` does, or Overrun."""
        return self._ask(_PRINTING_S, function, *args, **kwargs)

    def think(
        self,
        build_id: str,
        what: Question,
        revision: object,
        function: Callable[Given, Answer],
        *args: Given.args,
        **kwargs: Given.kwargs,
    ) -> Answer:
        """The answer to a question on a build as it is at a revision; the same question asked of another one ends.

        Whoever asks and leaves is not waited for: with the last of them the question ends.
        Raises Stopped where this one was ended, Overrun, or what `function` does.
        """
        with self._guard:
            if self._ending:
                raise Stopped
            known = self._thoughts.get((build_id, what))
            if known is not None and known.revision != revision:
                _end_soon(known.future)
                known = None
            if known is None:
                future = _schedule(self._thinking_pool(), _THINKING_S, function, *args, **kwargs)
                known = self._thoughts[build_id, what] = _Thought(revision, future)
            known.asking += 1
        try:
            answer: Answer = _answer(known.future)
        finally:
            with self._guard:
                known.asking -= 1
                if known.asking == 0 and not known.future.done():
                    _end_soon(known.future)
                if known.asking == 0 or known.future.done():
                    self._forget(build_id, what, known)
        return answer

    def underway(self, build_id: str) -> list[Underway]:
        """What is being worked out on a build."""
        with self._guard:
            return [
                Underway(what, float(self._share.value) if thought.future.running() else None)
                for (build, what), thought in self._thoughts.items()
                if build == build_id
            ]

    def stop(self, build_id: str, what: Question) -> None:
        """End a question; whoever asked it hears that it was stopped."""
        with self._guard:
            thought = self._thoughts.pop((build_id, what), None)
        if thought is not None:
            _end(thought.future)

    def stop_all(self) -> None:
        """End every question, and take no other; whoever asked hears that it was stopped."""
        with self._guard:
            self._ending = True
            thoughts = list(self._thoughts.values())
            self._thoughts.clear()
        for thought in thoughts:
            _end(thought.future)

    def close(self) -> None:
        """End all processes."""
        with self._guard:
            pools = [pool for pool in (self._asked, self._thinking) if pool is not None]
            self._asked = self._thinking = None
        for pool in pools:
            pool.stop()  # type: ignore[no-untyped-call]
            pool.join()

    def _forget(self, build_id: str, what: Question, thought: _Thought) -> None:
        if self._thoughts.get((build_id, what)) is thought:
            del self._thoughts[build_id, what]

    def _ask(
        self, most_s: float, function: Callable[Given, Answer], *args: Given.args, **kwargs: Given.kwargs
    ) -> Answer:
        with self._guard:
            future = _schedule(self._asked_pool(), most_s, function, *args, **kwargs)
        try:
            answer: Answer = _answer(future)
        finally:
            if not future.done() and not future.running():
                _end(future)
        return answer

    def _asked_pool(self) -> ProcessPool:
        if self._asked is None:
            self._asked = ProcessPool(1, initializer=work.begin_asked, context=self._context)
        return self._asked

    def _thinking_pool(self) -> ProcessPool:
        if self._thinking is None:
            self._thinking = ProcessPool(
                1, initializer=work.begin_thinking, initargs=(self._share, self._give_way), context=self._context
            )
        return self._thinking


def _schedule(
    pool: ProcessPool, most_s: float, function: Callable[Given, Answer], *args: Given.args, **kwargs: Given.kwargs
) -> "ProcessFuture[Any]":
    by_clock = most_s if sys.platform == "win32" else most_s * _STUCK
    return pool.schedule(work.within, args=(most_s, function, *args), kwargs=kwargs, timeout=by_clock)


def _end(future: "ProcessFuture[Any]") -> None:
    future.cancel()  # type: ignore[no-untyped-call]


def _end_soon(future: "ProcessFuture[Any]") -> None:
    """What is not begun ends at once; what is nearly done may end by itself, since a process that is ended forgets."""
    if not future.running():
        _end(future)
        return
    timer = threading.Timer(_GRACE_S, _end, (future,))
    timer.daemon = True
    timer.start()


_TOO_LONG = "This takes longer than it may: it was stopped, and nothing was changed."


def _answer(future: "ProcessFuture[Any]") -> Any:
    while not wait([future], _LOOK_S).done:
        if has_left():
            raise Stopped("Nobody waits for this any more.")
    try:
        return future.result()
    except CancelledError:
        raise Stopped("This was stopped.") from None
    except TookTooLong:
        raise Overrun(_TOO_LONG) from None
    except MemoryError:
        raise Overrun("This takes more memory than it may: it was stopped, and nothing was changed.") from None
    except ProcessExpired as error:
        if error.exitcode == _ENDED_FOR_TIME:
            raise Overrun(_TOO_LONG) from None
        raise Overrun("What worked on this ended before it was done; nothing was changed. Try it again.") from None
