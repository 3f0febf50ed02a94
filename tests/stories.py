"""A server for the interface's stories, which are told without a browser: `python -m tests.stories [COMMAND …]`.

The command finds the server's address in `FUSEAU_STORIES`. A story begins with a POST to `/stories/demo` or
`/stories/empty`: a workshop of its own is opened.
"""

import os
import subprocess
import sys
import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from starlette.responses import Response
from starlette.types import Receive, Scope, Send

from fuseau.store.opening import open_database
from tests.serving import Room, copied, demo_workshop

PATH = "/stories/"
VITEST = ("npm", "--prefix", "ui", "run", "--silent", "test", "--", "--project", "stories")


class Stories(Room):
    """A room that opens another workshop when it is asked to."""

    def __init__(self, folder: Path) -> None:
        super().__init__()
        self.folder = folder
        empty = folder / "empty.db"
        open_database(empty).dispose()
        self.workshops = {"demo": demo_workshop(), "empty": empty}
        self.told = 0

    async def _answer(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] == "http" and scope["path"].startswith(PATH):
            self.begin(scope["path"].removeprefix(PATH))
            await Response(status_code=204)(scope, receive, send)
        else:
            await super()._answer(scope, receive, send)

    def begin(self, workshop: str) -> None:
        """Answer from a fresh copy of a workshop."""
        self.told += 1
        data = self.folder / str(self.told)
        copied(self.workshops[workshop], data)
        self.open(data)


@contextmanager
def story_server(folder: Path) -> Iterator[dict[str, str]]:
    """A server for stories, with its workshops in a folder; and the environment that tells where it is."""
    stories = Stories(folder)
    stories.begin("empty")
    try:
        yield {**os.environ, "FUSEAU_STORIES": stories.url}
    finally:
        stories.close()


def main(command: list[str]) -> int:
    """Run the command beside the server; answers as it ended."""
    with tempfile.TemporaryDirectory() as folder, story_server(Path(folder)) as environment:
        return subprocess.run(command, env=environment, check=False).returncode


if __name__ == "__main__":
    os.environ.setdefault("NO_PROXY", "127.0.0.1")
    os.environ.setdefault("FUSEAU_GIVE_WAY", "0")
    sys.exit(main(sys.argv[1:] or list(VITEST)))
