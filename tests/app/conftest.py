"""A client of the API on a new workshop, and what many tests ask of it."""

import shutil

import pytest
from fastapi.testclient import TestClient

from fuseau.app.faultlog import FaultLog
from fuseau.app.server import make_app, open_session
from fuseau.app.settings import Settings
from fuseau.store.opening import open_database
from tests.conftest import MEASURES

HOST = "http://127.0.0.1:8321"
FILE = {"content-type": "application/octet-stream"}


@pytest.fixture(scope="session")
def app(tmp_path_factory):
    """The application, made once: its routes take longer than a workshop."""
    found = make_app(Settings(data=tmp_path_factory.mktemp("first"), warm=False))
    yield found
    found.state.workers.close()


@pytest.fixture(scope="session")
def empty(tmp_path_factory):
    """An empty workshop's database, made once: each test has a copy."""
    made = tmp_path_factory.mktemp("empty") / "fuseau.db"
    open_database(made).dispose()
    return made


@pytest.fixture
def client(app, empty, tmp_path):
    shutil.copy(empty, tmp_path / "fuseau.db")
    app.state.session = open_session(Settings(data=tmp_path), log=FaultLog(tmp_path / "fuseau.log"))
    return TestClient(app, base_url=HOST)  # its life is not begun and ended for each test: workers stay


@pytest.fixture
def sheet(client):
    """A new build with its measures."""
    line = client.post("/api/builds", json={"name": "Tidewarden"}).json()
    changes = [{"at": f"wearer.{name}", "value": level} for name, level in MEASURES.items()]
    answer = client.post(f"/api/builds/{line['id']}/changes", json={"revision": line["revision"], "changes": changes})
    assert answer.status_code == 200
    return answer.json()


def edit(client, sheet, at, value):
    body = {"revision": sheet["revision"], "changes": [{"at": at, "value": value}]}
    return client.post(f"/api/builds/{sheet['id']}/changes", json=body)


def fitting(client, sheet, gaps=("3.2 cm", "44 mm", "5.9 cm")):
    readings = [{"z_mm": z, "gap_mm": gap} for z, gap in zip(("9", "0", "-11"), gaps, strict=True)]
    body = {"revision": sheet["revision"], "pull": "close", "readings": readings, "note": "digs under the arm"}
    return client.post(f"/api/builds/{sheet['id']}/fittings", json=body)
