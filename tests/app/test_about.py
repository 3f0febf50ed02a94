"""What this workshop is, and the demo beside it."""

import http.client
from concurrent.futures import ThreadPoolExecutor

import pytest
from fastapi.testclient import TestClient

from fuseau.app.demo_beside import DemoBeside
from fuseau.app.server import make_app
from fuseau.app.settings import Settings
from fuseau.craft.base.errors import Unmakeable
from tests.serving import copied


def test_it_says_where_its_data_are_and_whether_it_is_the_demo(tmp_path):
    for demo in (False, True):
        with TestClient(
            make_app(Settings(data=tmp_path, demo=demo, warm=False)), base_url="http://127.0.0.1"
        ) as client:
            found = client.get("/api/about").json()
        assert found["folder"] == str(tmp_path)
        assert found["demo"] is demo
        assert found["version"]


def test_a_demo_that_does_not_start_is_told_and_nothing_is_left(tmp_path):
    (tmp_path / "demo").write_text("a file where the folder should be")
    beside = DemoBeside(tmp_path / "demo")
    with pytest.raises(Unmakeable) as refused:
        beside.open()
    assert refused.value.at == "demo"
    beside.close()


def test_a_demo_that_somebody_started_is_gone_to_and_not_ended(demo_database, tmp_path):
    copied(demo_database, tmp_path / "demo")
    first, second = DemoBeside(tmp_path / "demo"), DemoBeside(tmp_path / "demo")
    try:
        url = first.open()
        assert second.open() == url
        second.close()
        connection = http.client.HTTPConnection(url.removeprefix("http://"), timeout=5)
        connection.request("GET", "/api/about")
        assert b'"demo":true' in connection.getresponse().read()
    finally:
        first.close()


def test_stages_she_has_worked_in_are_kept_and_others_refused(tmp_path):
    with TestClient(make_app(Settings(data=tmp_path, warm=False)), base_url="http://127.0.0.1") as client:
        house = client.get("/api/house").json()
        assert house["known"] == []
        assert client.patch("/api/house", json={**house, "known": ["wearer", "make"]}).status_code == 200
        assert client.get("/api/house").json()["known"] == ["wearer", "make"]
        assert client.patch("/api/house", json={**house, "known": ["attic"]}).status_code == 422


def test_settings_that_are_changed_at_once_do_not_undo_each_other(tmp_path):
    with (
        TestClient(make_app(Settings(data=tmp_path, warm=False)), base_url="http://127.0.0.1") as client,
        ThreadPoolExecutor(6) as hands,
    ):
        changes = [{"unit": "in"}, {"paper": "letter"}, {"theme": "dark"}, {"known": ["make"]}]
        answers = list(hands.map(lambda change: client.patch("/api/house", json=change), changes))
        assert [answer.status_code for answer in answers] == [200] * 4
        house = client.get("/api/house").json()
        assert [{name: house[name]} for change in changes for name in change] == changes
