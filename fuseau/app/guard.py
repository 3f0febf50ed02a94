"""What stands before every route: Host and Origin checks, a limit on what may be sent, security headers."""

import json
from collections.abc import Mapping

from starlette.types import ASGIApp, Message, Receive, Scope, Send

LARGEST_BODY = 21_000_000

_POLICY = (
    "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; "
    "font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; "
    "frame-ancestors 'none'"
)
HEADERS = {
    "content-security-policy": _POLICY,
    "x-content-type-options": "nosniff",
    "referrer-policy": "no-referrer",
    "cross-origin-opener-policy": "same-origin",
    "cross-origin-resource-policy": "same-origin",
}
_NAMES = ("127.0.0.1", "localhost", "[::1]")
CHANGING = ("POST", "PUT", "PATCH", "DELETE")
_BACKUP = "/api/backup"
ROOM_HOST = "fuseau.room.host"  # what a device of the room, that was let in, calls this machine


class CutOff(Exception):
    """A request that is not heard to its end, answered by what stands before every route."""


class TooLarge(CutOff):
    """More was sent than any build needs."""


class DeviceOut(CutOff):
    """A device of the room was put out while it sent something."""


class Guard:
    """Refuses requests that do not come from this machine's own pages, and bodies past the limit.

    The Host check defeats DNS rebinding; the Origin check, pages of other sites that post here.
    """

    def __init__(self, app: ASGIApp) -> None:
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        headers = headers_of(scope)
        host = headers.get("host", "").lower()
        room = scope.get(ROOM_HOST)
        if host not in _hosts(scope) and host != room:
            await refuse(send, 421, "Fuseau answers on this machine only: open it at 127.0.0.1.")
            return
        if from_elsewhere(scope, headers, f"{'https' if room else 'http'}://{host}"):
            await refuse(send, 403, "Another site asked for your workshop; it was refused.")
            return
        if scope["path"] == _BACKUP:  # it is written to a file as it comes, and has a limit of its own
            await self.app(scope, receive, with_headers(send))
            return
        length = headers.get("content-length") or "0"
        if not length.isascii() or not length.isdigit():
            await refuse(send, 400, "This request does not say how long it is.")
            return
        if len(length) > 18 or int(length) > LARGEST_BODY:
            await refuse(send, 413, too_large(int(length[:18])))
            return
        try:
            await self.app(scope, _counted(receive), with_headers(send))
        except TooLarge:
            await refuse(send, 413, too_large(LARGEST_BODY))
        except DeviceOut:
            await refuse(send, 401, "This device was put out; nothing of that was kept.")


def headers_of(scope: Scope) -> dict[str, str]:
    """The headers of a request, by their names in small letters."""
    return {name.decode("latin-1").lower(): value.decode("latin-1") for name, value in scope["headers"]}


def from_elsewhere(scope: Scope, headers: Mapping[str, str], own: str, *, form: bool = False) -> bool:
    """Whether a page of another site, or of another port of this machine, asks or changes something.

    A link from there may open a page, but nothing that the workshop answers with.
    `own` is the origin of our pages. A `form` of a page that tells no other where it came from is sent without one.
    """
    changing = scope["method"] in CHANGING
    origin, site = headers.get("origin", own).lower(), headers.get("sec-fetch-site", "").strip().lower()
    ours = origin == own or (form and origin == "null" and site == "same-origin")
    asked = changing or scope["path"].startswith("/api/")
    return asked and (not ours or site in ("cross-site", "same-site"))


def _hosts(scope: Scope) -> tuple[str, ...]:
    """What a request may call this server: its names with its own port, which a browser leaves off where it is 80."""
    port = (scope.get("server") or ("", None))[1]
    named = tuple(f"{name}:{port}" for name in _NAMES)
    return (*named, *_NAMES) if port in (80, None) else named


def too_large(size: int) -> str:
    """The sentence for a file past the limit."""
    return (
        f"This file has {size / 1e6:.1f} MB or more; a build with its pictures has a few, {LARGEST_BODY / 1e6:.0f} MB "
        "at most."
    )


def _counted(receive: Receive) -> Receive:
    seen = 0

    async def counted() -> Message:
        nonlocal seen
        message = await receive()
        seen += len(message.get("body", b""))
        if seen > LARGEST_BODY:
            raise TooLarge
        return message

    return counted


def with_headers(send: Send) -> Send:
    """What is sent, with the security headers."""

    async def sending(message: Message) -> None:
        if message["type"] == "http.response.start":
            extra = [(name.encode(), value.encode()) for name, value in HEADERS.items()]
            message = {**message, "headers": [*message.get("headers", []), *extra]}
        await send(message)

    return sending


async def refuse(send: Send, status: int, sentence: str) -> None:
    """Answer with a sentence, as every route does where something is wrong."""
    body = json.dumps({"sentence": sentence, "faults": [], "changed": [], "log": None}).encode()
    headers = [(b"content-type", b"application/json"), (b"content-length", str(len(body)).encode())]
    headers += [(name.encode(), value.encode()) for name, value in HEADERS.items()]
    await send({"type": "http.response.start", "status": status, "headers": headers})
    await send({"type": "http.response.body", "body": body})
