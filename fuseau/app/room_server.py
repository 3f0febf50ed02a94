"""Opening the room: a second server for other devices, over TLS, that is there only while the maker wants it."""

import datetime
import socket
import ssl
import threading
import time
from asyncio.sslproto import SSLProtocol
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import TYPE_CHECKING

import uvicorn
from starlette.types import ASGIApp

from fuseau.app.connections import OF_ROOM, Attended, Connections
from fuseau.app.door import Door
from fuseau.craft.base.errors import Unmakeable
from fuseau.room.addresses import own_addresses
from fuseau.room.codes import Codes
from fuseau.room.devices import Devices

if TYPE_CHECKING:
    from fuseau.room.certificate import Certificate

_PATIENCE_S = 10.0
_TLS_BUFFER = 65_536  # a connection; four records of the greatest size. The usual is four times that, also for a crowd
_CIPHERS = "ECDHE+AESGCM:ECDHE+CHACHA20"  # of TLS 1.2; those of 1.3 all authenticate what they encrypt


class RoomServer:
    """The room of one workshop: closed until it is opened. The devices that were let in stay so over closing."""

    def __init__(
        self,
        folder: Path,
        port: int,
        tell: Callable[[], None],
        found_at: Callable[[], tuple[str, ...]] = own_addresses,
    ) -> None:
        self.codes = Codes()
        self.devices = Devices(folder / "devices.json")
        self._folder = folder
        self._port = port
        self._tell = tell
        self._found_at = found_at
        self._lock = threading.Lock()
        self._server: uvicorn.Server | None = None
        self._thread: threading.Thread | None = None
        self.addresses: tuple[str, ...] = ()
        self.certificate: Certificate | None = None

    @property
    def open(self) -> bool:
        """Whether devices can come in."""
        return self._server is not None

    @property
    def urls(self) -> tuple[str, ...]:
        """Where devices find it."""
        return tuple(f"https://{address}:{self._port}" for address in self.addresses) if self.open else ()

    def start(self, app: ASGIApp) -> None:
        """Open it. Raises Unmakeable at `room` where this machine is in no network, or its port is taken.

        It is open once it answers.
        """
        with self._lock:
            if self._server is not None:
                return
            addresses = self._found_at()
            if not addresses:
                raise Unmakeable("room", "room.no_network")
            SSLProtocol.max_size = _TLS_BUFFER
            connections = Connections(OF_ROOM)
            try:
                listening = connections.listener("0.0.0.0", self._port)
            except OSError:
                raise Unmakeable("room", "room.port_taken", port=float(self._port)) from None
            from fuseau.room.certificate import certificate_for

            try:
                certificate = certificate_for(self._folder, addresses, datetime.datetime.now(datetime.UTC))
            except (FileExistsError, NotADirectoryError):
                listening.close()
                raise Unmakeable("room", "room.no_folder") from None
            except OSError:
                listening.close()
                raise
            hosts = frozenset(f"{address}:{self._port}" for address in addresses)
            config = uvicorn.Config(
                Attended(Door(app, hosts, self.codes, self.devices, self._tell), connections),
                ssl_certfile=certificate.path,
                ssl_ciphers=_CIPHERS,
                log_level="critical",
                access_log=False,
                lifespan="off",
                server_header=False,
                proxy_headers=False,
                loop="asyncio",
                timeout_graceful_shutdown=2,
            )
            server = _Quiet(config)
            thread = threading.Thread(target=server.run, kwargs={"sockets": [listening]}, daemon=True)
            thread.start()
            began = time.monotonic()
            while not server.started and thread.is_alive() and time.monotonic() - began < _PATIENCE_S:
                thread.join(0.01)
            if not server.started or not _answers(self._port):
                server.should_exit = server.force_exit = True
                thread.join(_PATIENCE_S)
                listening.close()
                raise Unmakeable("room", "room.silent", port=float(self._port))
            self._server, self._thread = server, thread
            self.addresses, self.certificate = addresses, certificate

    def stop(self) -> None:
        """Close it: nobody comes in, and who is in hears nothing more."""
        with self._lock:
            self.codes.drop()
            if self._server is not None and self._thread is not None:
                self._server.should_exit = True
                began = time.monotonic()
                while self._thread.is_alive() and time.monotonic() - began < _PATIENCE_S:
                    # connections that are only kept open are not waited for
                    self._server.force_exit = not self._server.server_state.tasks
                    self._thread.join(0.05)
            self._server = self._thread = None


def _answers(port: int) -> bool:
    """Whether the room's door, knocked at from here, shakes hands."""
    context = ssl.create_default_context()
    context.check_hostname, context.verify_mode = False, ssl.CERT_NONE  # it is asked whether it answers, not who it is
    try:
        with (
            socket.create_connection(("127.0.0.1", port), timeout=_PATIENCE_S) as plain,
            context.wrap_socket(plain) as wrapped,
        ):
            return wrapped.version() is not None
    except OSError:
        return False


class _Quiet(uvicorn.Server):
    """A server beside the main one, which alone is told to stop by signals."""

    @contextmanager
    def capture_signals(self) -> Iterator[None]:
        yield
