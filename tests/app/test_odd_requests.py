"""No bare 500: whatever is asked, the answer has the one shape, a sentence, and changes nothing it should not."""

import json
import sqlite3

import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from sqlalchemy.exc import OperationalError

from tests.app.conftest import FILE, HOST, edit

JSON = {"content-type": "application/json"}


def in_shape(answer):
    """An error's answer."""
    assert answer.status_code < 500, answer.text
    assert answer.status_code >= 400, answer.text
    said = answer.json()
    assert set(said) == {"sentence", "faults", "changed", "log"}
    assert said["sentence"].endswith((".", "!", "?", ":")) or said["faults"], said
    assert len(answer.content) < 20_000
    return said


@pytest.mark.parametrize(
    "body",
    [
        '{"revision": 1e999, "changes": [{"at": "kind", "value": 1}]}',
        '{"revision": 99999999999999999999999, "changes": [{"at": "kind", "value": 1}]}',
        '{"revision": 1, "changes": [{"at": "brief.name", "value": "\\ud800"}]}',
        '{"revision": 1, "changes": [{"at": "brief.name", "value": "a\\u0000b"}]}',
        '{"revision": 1, "changes": [{"at": "\\ud800", "value": "x"}]}',
        '{"revision": 1, "changes": [{"at": "", "value": "x"}]}',
        '{"revision": 1, "changes": [{"at": "fittings.²", "value": "x"}]}',
        '{"revision": 1, "changes": [{"at": "fittings.0", "value": "x"}]}',
        '{"revision": 1, "changes": [{"at": "wearer.waist.readings_mm.99999999999999999999", "value": 1}]}',
        '{"revision": 1, "changes": [{"at": "target.gap_mm", "value": ' + "9" * 5000 + "}]}",
        '{"revision": 1, "changes": [{"at": "target.gap_mm", "value": "' + "9" * 5000 + '"}]}',
        '{"revision": 1, "changes": [{"at": "target.gap_mm", "value": NaN}]}',
        '{"revision": 1, "changes": [{"at": "target.gap_mm", "value": 1e400}]}',
        '{"revision": 1, "changes": ' + "[" * 5000 + "]" * 5000 + "}",
        '{"revision": 1, "changes": [' + '{"at": "x"},' * 5000 + '{"at": "x"}]}',
        '{"revision": 1, "changes": [{"at": "wearer.waist.readings_mm", "value": [' + '"x",' * 50000 + '"x"]}]}',
        '{"revision": 1, "changes": [{"at": "wearer.waist.readings_mm", "value": [' + '"x",' * 90000 + '"x"]}]}',
        "{",
        "",
        "[]",
        "null",
        '"text"',
    ],
    ids=lambda body: body[:60],
)
def test_an_odd_edit_is_refused_in_a_sentence_and_changes_nothing(client, sheet, body):
    body = body.replace('"revision": 1,', f'"revision": {sheet["revision"]},')
    path = f"/api/builds/{sheet['id']}"
    in_shape(client.post(f"{path}/changes", content=body.encode(errors="surrogatepass"), headers=JSON))
    assert client.get(path).json()["revision"] == sheet["revision"]


@pytest.mark.parametrize("name", ["a\x00b", "a\x1bb", "a\x7fb", "line\nline", "a\u202eb", "a\ufffeb"])
def test_a_name_that_cannot_be_printed_is_refused_at_its_field(client, sheet, name):
    said = in_shape(edit(client, sheet, "brief.name", name))
    assert said["faults"][0]["at"] == "brief.name"
    assert "can't be printed" in said["faults"][0]["sentence"]
    in_shape(client.post("/api/builds", json={"name": name}))
    assert edit(client, sheet, "brief.note", "two\r\nlines\tand a tab").json()["build"]["brief"]["note"] == (
        "two\nlines\tand a tab"
    )


@pytest.mark.parametrize(
    ("method", "path"),
    [
        ("GET", "/api/nothing"),
        ("GET", "/api/builds/"),
        ("POST", "/api/builds/"),
        ("GET", "/api/builds/%00"),
        ("GET", "/api/builds/" + "a" * 5000),
        ("GET", "/api/builds/x/compare?before=99999999999999999999&after=-1"),
        ("GET", "/api/pictures/%ff%fe"),
        ("DELETE", "/api/builds/%F0%9F%A7%B5"),
        ("PATCH", "/api/builds"),
        ("PUT", "/api/builds/x/fittings/99999999999999999999999"),
        ("POST", "/api/builds/x/pictures?revision=99999999999999999999999"),
        ("POST", "/api/builds/x/pictures?revision=" + "9" * 5000),
        ("GET", "/api/builds/x/underway"),
        ("DELETE", "/api/builds/x/underway/everything"),
        ("POST", "/api/backup"),
    ],
)
def test_an_odd_path_is_answered_in_the_one_shape(client, method, path):
    in_shape(client.request(method, path, headers=FILE if "pictures?" in path else {}))


@pytest.mark.parametrize("path", ["/%00", "/" + "a" * 5000, "/builds/x%00y", "/..%2f..%2fetc/passwd", "/assets/%00.js"])
def test_an_odd_page_is_a_place_in_the_interface(client, path):
    answer = client.get(path)
    assert answer.status_code in (200, 503)
    assert "root:" not in answer.text


def test_head_is_get_without_its_body(client, sheet):
    for path in (f"/api/builds/{sheet['id']}", "/", "/api/house"):
        answer = client.head(path)
        assert (answer.status_code, answer.content) == (client.get(path).status_code, b"")


@pytest.mark.parametrize(
    "kind", ["text/plain", "application/x-www-form-urlencoded", "multipart/form-data; boundary=x", None]
)
@pytest.mark.parametrize("path", ["/api/builds/import", "/api/photos", "/api/drawings", "/api/backup"])
def test_a_file_is_not_taken_as_what_any_page_may_send(client, path, kind):
    method = "PUT" if path == "/api/backup" else "POST"
    answer = client.request(method, path, content=b"{}", headers={"content-type": kind} if kind else {})
    assert answer.status_code == 415
    assert "application/octet-stream" in answer.json()["sentence"]


# --- who may ask


@pytest.mark.parametrize(
    ("host", "taken"),
    [
        ("127.0.0.1:8321", True),
        ("LOCALHOST:8321", True),
        ("[::1]:8321", True),
        ("127.0.0.1:9999", False),
        ("127.0.0.1", False),
        ("evil.example:8321", False),
        ("127.0.0.1.evil.example:8321", False),
        ("", False),
    ],
)
def test_only_this_machines_names_with_this_servers_port_are_answered(client, host, taken):
    assert client.get("/api/house", headers={"host": host}).status_code == (200 if taken else 421)


@pytest.mark.parametrize(
    ("headers", "taken"),
    [
        ({}, True),
        ({"origin": HOST}, True),
        ({"origin": HOST, "sec-fetch-site": "same-origin"}, True),
        ({"origin": "HTTP://127.0.0.1:8321"}, True),
        ({"sec-fetch-site": "cross-site"}, False),
        ({"sec-fetch-site": "same-site"}, False),  # another port of this machine
        ({"sec-fetch-site": "Cross-Site", "origin": HOST}, False),
        ({"origin": "http://127.0.0.1:9999"}, False),
        ({"origin": "null"}, False),
        ({"origin": "https://127.0.0.1:8321"}, False),
    ],
)
def test_another_site_changes_nothing(client, headers, taken):
    answer = client.post("/api/builds", json={"name": "Tidewarden"}, headers=headers)
    assert answer.status_code == (201 if taken else 403)
    assert len(client.get("/api/builds").json()) == taken


def test_another_site_may_link_to_a_page_and_asks_the_api_for_nothing(client):
    for foreign in (
        {"sec-fetch-site": "cross-site"},
        {"sec-fetch-site": "same-site"},
        {"origin": "http://127.0.0.1:9"},
    ):
        assert client.get("/", headers=foreign).status_code in (200, 503)
        for path in ("/api/builds", "/api/backup"):
            assert client.get(path, headers=foreign).status_code == 403


LONG = "9" * 400


@pytest.mark.parametrize(
    "number", [LONG, "9" * 5000 + " cm", f"1/{LONG}", f"0.{LONG}", "1e400", "nan", "inf", "١٢", "²"]
)
def test_a_number_of_any_length_is_kept_or_refused_where_it_is(client, sheet, number):
    photo = {"scale": [[0, 0], [1, 0]], "outline": [[0, 0], [1, 0], [1, 1]], "grain": []}
    asked = [
        client.get(f"/api/builds/{sheet['id']}/pattern.pdf", params={"version": number}),
        client.get("/api/events", params={"after": f"-{number}"}),
        edit(client, sheet, "wearer.waist.readings_mm", [number]),
        edit(client, sheet, "target.gap_mm", number),
        client.post("/api/scrap", json={**photo, "known_mm": number}),
        client.post("/api/measures/csv", content=f"level,girth\nwaist,{number}".encode(), headers=FILE),
    ]
    for answer in asked:
        assert answer.status_code < 500, answer.text


# --- what the disk does


@pytest.mark.parametrize(
    ("name", "status", "says"),
    [
        ("SQLITE_FULL", 507, "disk is full"),
        ("SQLITE_BUSY", 503, "holds it"),
        ("SQLITE_IOERR_WRITE", 507, "may be full"),
    ],
)
def test_what_the_disk_does_not_take_is_told_and_nothing_is_lost(client, sheet, monkeypatch, name, status, says):
    store = client.app.state.session.workshop
    failed = sqlite3.OperationalError("no")
    failed.sqlite_errorname = name

    def keep(*_):
        raise OperationalError("insert", {}, failed)

    monkeypatch.setattr(type(store), "_keep", keep)
    answer = edit(client, sheet, "target.gap_mm", 44)
    assert (answer.status_code, says in answer.json()["sentence"]) == (status, True)
    monkeypatch.undo()
    assert client.get(f"/api/builds/{sheet['id']}").json()["build"] == sheet["build"]
    assert edit(client, sheet, "target.gap_mm", 44).status_code == 200, "it works again"


def test_what_nobody_foresaw_has_a_number_in_the_log_and_no_measure(client, sheet, monkeypatch):
    def fail(*_, **__):
        raise KeyError("waist 702.5 mm")

    monkeypatch.setattr(type(client.app.state.session.workshop), "history", fail)
    answer = client.get(f"/api/builds/{sheet['id']}/history")
    assert answer.status_code == 500
    number = answer.json()["log"]
    assert number in answer.json()["sentence"]
    written = client.app.state.log_path.read_text()
    assert number in written
    assert "KeyError" in written
    assert "702" not in written


WORDS = st.text(st.characters(), max_size=30)
ANYTHING = st.recursive(
    st.none() | st.booleans() | st.integers() | st.floats() | WORDS,
    lambda inner: st.lists(inner, max_size=4) | st.dictionaries(WORDS, inner, max_size=4),
    max_leaves=12,
)
PLACES = st.sampled_from(
    ["kind", "brief", "brief.name", "wearer.waist.readings_mm", "fittings", "bones.by_channel", "practice", "versions"]
) | st.lists(WORDS, max_size=4).map(".".join)


@settings(max_examples=40, suppress_health_check=[HealthCheck.function_scoped_fixture])
@given(at=PLACES, value=ANYTHING)
def test_any_value_at_any_place_is_kept_or_refused_in_a_sentence(client, sheet, at, value):
    body = json.dumps({"revision": 0, "changes": [{"at": at, "value": value}]})
    path = f"/api/builds/{sheet['id']}"
    body = body.replace('"revision": 0', f'"revision": {client.get(path).json()["revision"]}', 1)
    answer = client.post(f"{path}/changes", content=body, headers=JSON)
    if answer.status_code != 200:
        in_shape(answer)
