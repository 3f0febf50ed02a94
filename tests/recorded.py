"""Answers of the real server for the interface's component tests, taken anew: `python -m tests.recorded FILE`.

A component is tried on what the server says, and on nothing that somebody thought it might say.
"""

import json
import sys
import tempfile
from pathlib import Path
from typing import Any

from fastapi.testclient import TestClient

from fuseau.app.server import make_app
from fuseau.app.settings import Settings
from tests.conftest import MEASURES

ANY_BODY = "*"
HOST = "http://127.0.0.1:8321"
TRIED_ON = [{"z_mm": "9", "gap_mm": "3.2 cm"}, {"z_mm": "0", "gap_mm": "44 mm"}, {"z_mm": "-11", "gap_mm": "5.9 cm"}]


class Recorder:
    """Asks the server, and keeps what was asked with what it answered."""

    def __init__(self, client: TestClient) -> None:
        self.client = client
        self.kept: list[dict[str, Any]] = []

    def ask(self, method: str, path: str, body: dict[str, Any] | None = None) -> Any:
        """The answer, kept under its request."""
        answer = self.client.request(method, path, json=body)
        said = answer.json() if answer.content else None
        self.kept.append({"method": method, "path": path, "body": body, "status": answer.status_code, "answer": said})
        return said

    def ask_loosely(self, method: str, path: str, body: dict[str, Any]) -> None:
        """As `ask`; the answer is given to any body."""
        self.ask(method, path, body)
        self.kept[-1]["body"] = ANY_BODY

    def change(self, sheet: Any, *changes: tuple[str, object]) -> Any:
        """The build after fields were set as the interface sets them, or why they were refused."""
        body = {
            "revision": sheet["revision"],
            "changes": [{"at": at, "value": value} for at, value in changes],
            "label": "",
        }
        return self.ask("POST", f"/api/builds/{sheet['id']}/changes", body)


def record(client: TestClient) -> dict[str, Any]:
    """Builds by name as they are opened, and every exchange."""
    of = Recorder(client)
    of.ask("GET", "/api/house")
    of.ask("GET", "/api/catalogue")
    line = client.post("/api/builds", json={"name": "Tidewarden"}).json()
    measures = [(f"wearer.{name}", level) for name, level in MEASURES.items()]
    measured = of.change(line, ("wearer.name", "Ile"), ("wearer.waist_to_lap_sitting_mm", 175), *measures)
    at = f"/api/builds/{line['id']}"

    # a length: taken, refused, taken in another unit
    of.change(measured, ("target.gap_mm", "six cm"))
    wider = of.change(measured, ("target.gap_mm", "6 cm"))
    of.ask("GET", at)

    # tried on: what is proposed
    body = {"revision": wider["revision"], "pull": "close", "readings": TRIED_ON}
    tried = client.post(f"{at}/fittings", json=body).json()

    # another fitting, refused at every field of it that is written by hand
    of.ask_loosely("POST", f"{at}/fittings", {"revision": tried["revision"], **_refused(tried["build"]["versions"][0])})

    # a lace behind, and what opens there in its place; then the lace again
    unlaced = of.change(tried, ("back.laced", False), ("front.line", "CB"), ("front.opening", "zip"))
    laced = of.change(unlaced, ("front.line", "CF"), ("back.laced", True))

    # a collar, which is tied
    collar = client.post("/api/builds", json={"name": "Reed collar", "kind": "neck corset"}).json()
    of.ask("GET", f"/api/builds/{collar['id']}")
    of.ask("GET", "/api/find?words=t")
    builds = {"measured": measured, "wider": wider, "tried": tried, "unlaced": unlaced, "laced": laced}
    return {"builds": builds, "exchanges": of.kept}


def _refused(version: Any) -> dict[str, Any]:
    """A fitting that can't be read: a length, an amount and a pinch that are none."""
    pinch = {"seam": 2, "from_mm": "-4 cm", "to_mm": "4 cm", "amount_mm": "a bit", "half": "both"}
    return {
        "version": version["number"],
        "readings": [{"z_mm": "9 cm", "gap_mm": "wide"}],
        "laced": [{"level": "waist", "girth_mm": "lots"}],
        "edges": [{"edge": "top", "place": "side", "off_mm": "too much"}],
        "rides_mm": "up",
        "hours": "an evening",
        "pinches": [pinch],
    }


def main(target: Path) -> None:
    """Write the answers."""
    with tempfile.TemporaryDirectory() as folder:
        app = make_app(Settings(data=Path(folder), warm=False))
        found = record(TestClient(app, base_url=HOST))
        app.state.workers.close()
    target.parent.mkdir(exist_ok=True)
    target.write_text(json.dumps(found))


if __name__ == "__main__":
    main(Path(sys.argv[1]))
