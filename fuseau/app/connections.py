"""Who may be connected to a door, and for how long without asking or answering anything.

A connection is counted from the moment that it takes a descriptor of this process until it gives it back, so that a
crowd that says nothing, or says it a byte at a time, leaves room for whoever has something to ask.
"""

import asyncio
import socket
import time
from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from dataclasses import dataclass
from typing import Any

from starlette.types import ASGIApp, Message, Receive, Scope, Send

from fuseau.app.guard import CutOff, refuse

ASKER: ContextVar["Connection | None"] = ContextVar("asker", default=None)  # whose request is answered here
CONNECTION = "fuseau.connection"  # in the scope of a request: the connection that it came by
_TURNED_AWAY_AT_ONCE = 64
_OWN_DESCRIPTORS = 400  # databases, files, workers


def has_left() -> bool:
    """Whether whoever asked what is worked out here has gone meanwhile, so that nobody waits for it."""
    asker = ASKER.get()
    return asker is not None and asker.fileno() == -1


class TooSlow(CutOff):
    """What is sent comes more slowly than any line that can be used."""


class NobodyReads(CutOff):
    """An answer that is not taken."""


@dataclass(frozen=True)
class Bounds:
    """How many may be connected, and how long each may take.

    `silent_s` is the time to the first whole request (greeting of TLS included) and the longest pause after that; a
    body has `silent_s`, and a second for every `slowest_bytes_s` bytes; `untaken_s` is how long a part of an answer
    waits to be read. Where all places are taken, one that has said nothing for `greeting_s` makes room.
    """

    in_all: int
    by_address: int
    greeting_s: float = 1.0
    silent_s: float = 10.0
    slowest_bytes_s: float = 4000.0
    untaken_s: float = 60.0


OF_LAPTOP = Bounds(in_all=400, by_address=400)  # all of them come from one
OF_ROOM = Bounds(in_all=120, by_address=32)


class Connection(socket.socket):
    """One that is counted. `known` ones are those that somebody was let in by; they never make room for others."""

    keeper: "Connections | None" = None
    peer = ("", 0)
    since = 0.0
    asking = 0
    known = False

    def send(self, data: Any, flags: int = 0) -> int:
        """As of any socket; what goes out shows that somebody takes it."""
        sent = super().send(data, flags)
        self.since = time.monotonic()
        return sent

    def close(self) -> None:
        """As of any socket; it is counted no more."""
        super().close()
        if self.keeper is not None:
            self.keeper.forget(self)

    def cut(self) -> None:
        """End it from this side; whoever reads or writes it notices at once."""
        try:
            self.shutdown(socket.SHUT_RDWR)
        except OSError:  # it has gone already
            return


class Listener(socket.socket):
    """A listening socket behind which the connections are counted, and those past the bounds turned away."""

    connections: "Connections"

    def accept(self) -> tuple[socket.socket, Any]:
        """The next that may come in. Raises as any socket does; ConnectionAbortedError where many were turned away."""
        for _ in range(_TURNED_AWAY_AT_ONCE):
            fresh, address = super().accept()
            connection = Connection(fileno=fresh.detach())
            if self.connections.admit(connection, address):
                return connection, address
            connection.close()
        raise ConnectionAbortedError  # what else waits has its turn first


class Connections:
    """The connections of one listener, all in one event loop."""

    def __init__(self, bounds: Bounds) -> None:
        self.bounds = bounds
        self._open: set[Connection] = set()
        self._by_peer: dict[tuple[str, int], Connection] = {}

    def __len__(self) -> int:
        return len(self._open)

    def listener(self, host: str, port: int) -> Listener:
        """A socket at this address. Raises OSError where it is taken."""
        listening = Listener(socket.AF_INET, socket.SOCK_STREAM)
        listening.connections = self
        listening.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            listening.bind((host, port))
        except OSError:
            listening.close()
            raise
        return listening

    def admit(self, connection: Connection, peer: Any) -> bool:
        """Whether it may come in; the one that has been here longest without being known may have to go for it.

        An address that takes all places that it may have waits until it gives one back.
        """
        near = sum(other.peer[0] == peer[0] for other in self._open)
        if self.bounds.by_address <= near < self.bounds.in_all:
            return False
        if len(self._open) >= self.bounds.in_all and not self._make_room():
            return False
        connection.keeper, connection.peer, connection.since = self, (peer[0], peer[1]), time.monotonic()
        self._open.add(connection)
        self._by_peer[connection.peer] = connection
        self._look_later(connection, self.bounds.silent_s)
        return True

    def forget(self, connection: Connection) -> None:
        """It has ended."""
        self._open.discard(connection)
        if self._by_peer.get(connection.peer) is connection:
            del self._by_peer[connection.peer]

    def of(self, peer: tuple[str, int] | None) -> Connection | None:
        """The connection of a request, by the address and port that it came from."""
        return self._by_peer.get(peer) if peer else None

    def _make_room(self) -> bool:
        late = time.monotonic() - self.bounds.greeting_s
        strangers = [other for other in self._open if not other.known and other.since < late]
        if not strangers:
            return False
        first = min(strangers, key=lambda other: (other.asking > 0, other.since))
        first.cut()
        self.forget(first)
        return True

    def _look_later(self, connection: Connection, in_s: float) -> None:
        asyncio.get_running_loop().call_later(in_s, self._look, connection)

    def _look(self, connection: Connection) -> None:
        if connection not in self._open:
            return
        silent = 0.0 if connection.asking else time.monotonic() - connection.since
        if silent < self.bounds.silent_s:
            self._look_later(connection, max(0.01, self.bounds.silent_s - silent))
        else:
            connection.cut()


class Attended:
    """An application whose requests come by counted connections, and at a pace that somebody can wait for.

    `everyone` is known who asks at all: behind the laptop's own door is only this machine.
    """

    def __init__(self, app: ASGIApp, connections: Connections, everyone: bool = False) -> None:
        self.app = app
        self.connections = connections
        self._everyone = everyone

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """One request, or the beginning and end of the server."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        connection, begun = self.connections.of(scope.get("client")), False

        async def told(message: Message) -> None:
            nonlocal begun
            begun = True
            try:
                async with asyncio.timeout(self.connections.bounds.untaken_s):
                    await send(message)
            except TimeoutError:
                raise NobodyReads from None

        with _asking(connection, self._everyone):
            try:
                await self.app({**scope, CONNECTION: connection}, self._paced(receive), told)
            except TooSlow:
                if not begun:
                    await refuse(told, 408, "This came so slowly that it was given up; nothing of it was kept.")
            except NobodyReads:
                if connection is not None:
                    connection.cut()

    def _paced(self, receive: Receive) -> Receive:
        bounds, began, came, whole = self.connections.bounds, asyncio.get_running_loop().time(), 0, False

        async def heard() -> Message:
            nonlocal came, whole
            if whole:
                return await receive()
            try:
                async with asyncio.timeout_at(began + bounds.silent_s + came / bounds.slowest_bytes_s):
                    message = await receive()
            except TimeoutError:
                raise TooSlow from None
            came += len(message.get("body", b""))
            whole = message["type"] != "http.request" or not message.get("more_body", False)
            return message

        return heard


def allow_connections(*doors: Bounds) -> None:
    """Let this process have as many descriptors as its doors need, where it had fewer and the system allows it."""
    try:
        import resource

        soft, hard = resource.getrlimit(resource.RLIMIT_NOFILE)
        wanted = sum(door.in_all for door in doors) + _OWN_DESCRIPTORS
        allowed = wanted if hard == resource.RLIM_INFINITY else min(wanted, hard)
        if soft not in (-1, resource.RLIM_INFINITY) and soft < allowed:
            resource.setrlimit(resource.RLIMIT_NOFILE, (allowed, hard))
    except (ImportError, OSError, ValueError):  # a system that does not count them so
        return


@contextmanager
def _asking(connection: Connection | None, known: bool) -> Iterator[None]:
    if connection is None:  # of a server that stands behind no listener of ours
        yield
        return
    connection.known |= known
    connection.asking += 1
    token = ASKER.set(connection)
    try:
        yield
    finally:
        ASKER.reset(token)
        connection.asking -= 1
        connection.since = time.monotonic()
