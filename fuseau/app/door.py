"""The door to the room: what comes from other devices, over TLS only, each with a key of its own."""

import asyncio
import datetime
import html
import time
from collections.abc import Callable
from urllib.parse import parse_qs

from starlette.requests import Request
from starlette.responses import HTMLResponse, RedirectResponse, Response
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from fuseau.app.connections import CONNECTION, Connection
from fuseau.app.guard import CHANGING, ROOM_HOST, DeviceOut, from_elsewhere, headers_of, refuse, with_headers
from fuseau.room.codes import LENGTH, Codes, DoorShut
from fuseau.room.devices import LASTS_DAYS, Devices, TooMany

COOKIE = "__Host-fuseau"  # browsers take such a cookie over TLS only, for this host and all of its paths
_AT_THE_LAPTOP = ("/api/room", "/api/backup", "/api/copies", "/api/demo")
_LONGEST_FORM = 2000
_FRESH = {"cache-control": "no-store"}
_SLOWER_S = 0.4  # every wrong code waits so long
_STYLE = (
    "body{font:18px/1.45 sans-serif;max-width:26em;margin:3em auto;padding:0 1em;color:#1d2733;background:#fcfcfa}"
    "input,button{font:inherit;width:100%;min-height:48px;box-sizing:border-box;padding:.4em;margin:.2em 0 1em;"
    "border:1px solid #566675;border-radius:4px}button{background:#1d2733;color:#fff}.bad{color:#b4325e}"
)


class Door:
    """An application in front of the workshop's that lets in whom its maker let in, and refuses everything else.

    `hosts` are the names and addresses with their port by which this machine may be asked; any other Host is refused,
    so that no page of another site reaches it under a name of its own (DNS rebinding).
    """

    def __init__(
        self,
        app: ASGIApp,
        hosts: frozenset[str],
        codes: Codes,
        devices: Devices,
        tell: Callable[[], None],
    ) -> None:
        self.app = app
        self._hosts = hosts
        self._codes = codes
        self._devices = devices
        self._tell = tell

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            return
        headers, path = headers_of(scope), scope["path"]
        host, entering = headers.get("host", "").lower(), f"{path}/".startswith("/enter/")
        if scope.get("scheme") != "https" or host not in self._hosts:
            await refuse(send, 421, "Fuseau is not called so in this room.")
            return
        if from_elsewhere(scope, headers, f"https://{host}", form=entering):
            await refuse(send, 403, "Another site asked for your workshop; it was refused.")
            return
        if entering:
            answer = await self._enter(Request(scope, receive), path.removeprefix("/enter").strip("/"))
            await answer(scope, receive, with_headers(send))
            return
        key = Request(scope).cookies.get(COOKIE)
        known = key is not None and self._knows(key)
        connection: Connection | None = scope.get(CONNECTION)
        if connection is not None:
            connection.known = known
        if key is None or not known:
            if path.startswith("/api/") or scope["method"] in CHANGING:
                await refuse(send, 401, "This device is not let in: read a new code on the laptop.")
            else:
                page = _page(401, said="This device is not let in, or not any more.")
                await page(scope, receive, with_headers(send))
            return
        if any(path == one or path.startswith(f"{one}/") for one in _AT_THE_LAPTOP):
            await refuse(send, 403, "That is done on the laptop only.")
            return
        await self._pass(key, {**scope, ROOM_HOST: host}, receive, send)

    async def _pass(self, key: str, scope: Scope, receive: Receive, send: Send) -> None:
        """On to the workshop; a device that is put out meanwhile is heard no more, and what it listens to ends."""
        begun = ended = False

        async def heard() -> Message:
            message = await receive()
            if message["type"] == "http.request" and not begun and not self._knows(key):
                raise DeviceOut
            return message

        async def told(message: Message) -> None:
            nonlocal begun, ended
            if ended:
                return
            if message["type"] == "http.response.body" and message.get("more_body") and not self._knows(key):
                ended, message = True, {"type": "http.response.body", "body": b""}
            begun = True
            await send(message)

        await self.app(scope, heard, told)

    def _knows(self, key: str) -> bool:
        return self._devices.of(key, _now()) is not None

    async def _enter(self, request: Request, code: str) -> Response:
        if request.method in ("GET", "HEAD"):
            return _page(200, code[:LENGTH])
        if request.method != "POST":
            return _page(405)
        form = await _read(request)
        if form is None:
            return _page(413, said="That is no code.")
        given, name = (form.get(one, [""])[0] for one in ("code", "name"))
        try:
            right = self._codes.take(given, time.monotonic(), request.client.host if request.client else "")
        except DoorShut as shut:
            return _page(429, said=f"Too many wrong codes. The door stays shut for {shut.seconds / 60:.0f} min.")
        if not right:
            await asyncio.sleep(_SLOWER_S)
            return _page(403, said="That is not the code on the laptop now: one is good for five minutes, and once.")
        try:
            _, key = self._devices.let_in(name, _now())
        except TooMany:
            return _page(409, said="As many devices are let in as there may be: put one out on the laptop.")
        except OSError:
            return _page(507, said="The laptop's disk is full: nobody can be let in until there is room.")
        self._tell()
        answer = RedirectResponse("/", 303, headers=_FRESH)
        answer.set_cookie(
            COOKIE, key, max_age=LASTS_DAYS * 24 * 3600, path="/", secure=True, httponly=True, samesite="strict"
        )
        return answer


async def _read(request: Request) -> dict[str, list[str]] | None:
    """A form as it was sent; None where it is longer than any."""
    body = b""
    async for part in request.stream():
        body += part
        if len(body) > _LONGEST_FORM:
            return None
    return parse_qs(body.decode("utf-8", "replace"), max_num_fields=8)


def _page(status: int, code: str = "", said: str = "") -> Response:
    return HTMLResponse(_form(code, said), status, headers=_FRESH)


def _form(code: str, said: str) -> str:
    told = f'<p class="bad" role="alert">{html.escape(said)}</p>' if said else ""
    return (
        '<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">'
        f"<title>Fuseau: let this device in</title><style>{_STYLE}</style><h1>Fuseau</h1>{told}"
        '<form method="post" action="/enter"><label for="code">The code on the laptop</label>'
        f'<input id="code" name="code" value="{html.escape(code)}" autocomplete="off" required>'
        '<label for="name">What this device is called</label><input id="name" name="name" value="phone" maxlength="60">'
        "<button>Let this device in</button></form></html>"
    )


def _now() -> datetime.datetime:
    return datetime.datetime.now(datetime.UTC)
