"""How routes read what is sent to them: JSON within bounds, files as what they are said to be."""

from collections.abc import Callable, Coroutine
from typing import Annotated, Any

from fastapi import Depends, HTTPException, Request
from fastapi.responses import Response
from fastapi.routing import APIRoute
from starlette.concurrency import run_in_threadpool

from fuseau.files.json_text import read_json

_MOST_PARTS = 60_000
# What a page of another site can send without asking first, and so no file of ours may be sent as.
_NO_FILES = ("text/plain", "application/x-www-form-urlencoded", "multipart/form-data", "")


class JsonRoute(APIRoute):
    """A route whose JSON body is read by `read_json`: bounded, and refused in a plain sentence.

    One that takes `TheFile` says in its description that a file is its body.
    """

    def __init__(self, path: str, endpoint: Callable[..., Any], **rest: Any) -> None:
        super().__init__(path, endpoint, **rest)
        if any(needed.call is _file_of for needed in self.dependant.dependencies):
            self.openapi_extra = A_FILE

    def get_route_handler(self) -> Callable[[Request], Coroutine[Any, Any, Response]]:
        """The handler, with the body read before."""
        handle = super().get_route_handler()

        async def handler(request: Request) -> Response:
            if self.body_field is not None and _kind_of(request) == "application/json":
                body = await request.body()
                if body.strip():
                    request._json = await run_in_threadpool(read_json, body, _MOST_PARTS)
            return await handle(request)

        return handler


A_FILE: dict[str, Any] = {
    "requestBody": {
        "required": True,
        "content": {"application/octet-stream": {"schema": {"type": "string", "format": "binary"}}},
    }
}


def check_is_file(request: Request) -> None:
    """Raises HTTPException where a body is sent as what any page may send."""
    if _kind_of(request) in _NO_FILES:
        raise HTTPException(415, "Send a file as application/octet-stream, or as what it is.")


def _kind_of(request: Request) -> str:
    return request.headers.get("content-type", "").split(";")[0].strip().lower()


async def _file_of(request: Request) -> bytes:
    check_is_file(request)
    return await request.body()


TheFile = Annotated[bytes, Depends(_file_of)]  # read here, so that the routes that work on it stay off the event loop
