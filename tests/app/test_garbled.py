"""Any value of any row garbled: that row is one damaged line, and every list and page stands."""

import sqlite3
from contextlib import closing

import pytest
from sqlmodel import SQLModel

from fuseau.store.backup import write_backup
from fuseau.store.opening import put_in_place
from fuseau.store.tables import BuildRow
from tests.app.conftest import FILE

NO_TEXT = b"\xff, as text"  # bytes that no text has, kept as if they were some
GARBLED = (None, "", "null", "{", "[]", "{}", "2026-13-45", -1, 1.5, 2**62, b"\xff\xfe", NO_TEXT, "x" * 3)
PAGES = ("/api/builds", "/api/builds?archived=true", "/api/house", "/api/wearers", "/api/shelf", "/api/cards",
         "/api/articles", "/api/copies")  # fmt: skip
WORKED_OUT = ("/api/work", "/api/shopping", "/api/find?words=tide")  # by workers: once a column
COLUMNS = [
    (table.name, column.name)
    for table in SQLModel.metadata.tables.values()
    for column in table.columns
    if table.name in BuildRow.metadata.tables
]


def mark(client, sheet):
    """Something in every table: two builds, a finished one's card, a wearer, a picture, the shelf, settings."""
    other = client.post(f"/api/builds/{sheet['id']}/duplicate").json()
    taken = {"revision": sheet["revision"], "taken_on": "2026-11-20"}
    assert client.post(f"/api/builds/{sheet['id']}/book", json=taken).status_code == 200
    piece = {"sort": "grommets", "name": "grommet_5", "label": "grommets", "count": 40}
    assert client.post("/api/shelf/pieces", json={"pieces": [piece]}).status_code == 201
    assert client.post("/api/shelf/pieces", json={"pieces": [{**piece, "count": 12}]}).status_code == 201
    assert client.patch("/api/house", json={"unit": "in"}).status_code == 200
    assert client.get("/api/cards").status_code == 200
    return other


@pytest.fixture
def filled(client, sheet, tmp_path):
    other = mark(client, sheet)
    write_backup(client.app.state.session.database, tmp_path / "whole")
    return sheet["id"], other["id"]


@pytest.mark.parametrize("table", sorted({table for table, _ in COLUMNS}))
def test_a_garbled_value_closes_only_its_own_row(client, filled, tmp_path, table):
    session = client.app.state.session
    mine, other = filled
    for k, column in enumerate(column for named, column in COLUMNS if named == table):
        for value in GARBLED[k % 3 :: 3]:
            put_in_place(tmp_path / "whole", session.database)
            if not garble(session.database, table, column, value, mine):
                continue
            session.database_changed()
            worked_out = WORKED_OUT if value is GARBLED[k % 3] else ()
            for page in (*PAGES, *worked_out):
                answer = client.get(page)
                assert answer.status_code == 200, (column, value, page, answer.text[:200])
            lines = [*client.get("/api/builds").json(), *client.get("/api/builds?archived=true").json()]
            if column not in ("deleted_at", "id", "build_id"):
                whole = {line["id"] for line in lines if line["trouble"] is None}
                assert other in whole, (column, value)
                assert mine in {line["id"] for line in lines}, (column, value)
            for line in lines:
                if line["trouble"] is not None and line["id"] == mine and line["whole"] is not None:
                    back = {"revision": line["revision"], "to": line["whole"]["revision"]}
                    kept = client.get(f"/api/builds/{mine}/build.fuseau.json")
                    assert kept.status_code == 200, (column, value)
                    restored = client.post(f"/api/builds/{mine}/restore", json=back)
                    assert restored.status_code == 200, (column, value, restored.text[:200])


def as_kept(value):
    """How a value gets into a row."""
    return "cast(:value as text)" if value is NO_TEXT else ":value"


def garble(database, table, column, value, mine):
    """Whether the file takes such a value, in the row of a build's present state or the table's first."""
    row = {
        "revision": "id = (select head_id from build where id = :mine)",
        "build": "id = :mine",
        "card": "build_id = :mine",
        "shelf_state": "id = (select head_id from shelf)",
    }.get(table, "rowid = (select min(rowid) from " + table + ")")
    with closing(sqlite3.connect(database, isolation_level=None)) as connection:
        connection.execute("pragma foreign_keys=off")
        try:
            given = {"value": value, "mine": mine}
            return connection.execute(f"update {table} set {column} = {as_kept(value)} where {row}", given).rowcount
        except sqlite3.Error:
            return 0


def test_a_damaged_shelf_shows_its_newest_whole_state_and_goes_on_from_it(client, filled):
    session = client.app.state.session
    with closing(sqlite3.connect(session.database)) as connection, connection:
        connection.execute("update shelf_state set document = '{' where id = (select head_id from shelf)")
    session.database_changed()
    seen = client.get("/api/shelf").json()
    assert seen["damaged"]
    assert [one["piece"]["count"] for one in seen["pieces"]] == [40]
    piece = {"sort": "grommets", "name": "grommet_5", "label": "grommets", "count": 7}
    after = client.post("/api/shelf/pieces", json={"pieces": [piece]}).json()
    assert not after["damaged"]
    assert [one["piece"]["count"] for one in after["pieces"]] == [40, 7]


def test_a_damaged_measuring_is_told_and_its_wearer_stays(client, filled):
    session = client.app.state.session
    with closing(sqlite3.connect(session.database)) as connection, connection:
        connection.execute("update measuring set document = 'null'")
    (entry,) = client.get("/api/wearers").json()
    assert (entry["measurings"], entry["damaged"]) == ([], 1)


def test_the_settings_that_can_be_read_stay(client):
    session = client.app.state.session
    session.workshop.set("house", '{"unit": "in", "hourly_rate": {"a": [1]}, "known": 5}')
    session.database_changed()
    assert client.get("/api/house").json()["unit"] == "in"


def test_a_backup_says_which_of_its_builds_would_come_in_closed(client, filled, tmp_path):
    mine, _ = filled
    odd = tmp_path / "whole"
    with closing(sqlite3.connect(odd)) as connection, connection:
        connection.execute(
            "update revision set document = '{}' where id = (select head_id from build where id = ?)", (mine,)
        )
        connection.execute("update build set id = 'x' || id")
        connection.execute("update revision set build_id = 'x' || build_id")
    holds = client.put("/api/backup", content=odd.read_bytes(), headers=FILE).json()
    assert holds["builds"] == 2
    (unfit,) = holds["unfit"]
    assert (unfit["name"], "is damaged" in unfit["why"]) == ("Tidewarden", True), unfit
    assert client.post("/api/backup", json={"how": "beside"}).json()["builds"] == 2
    lines = {line["id"]: line["trouble"] for line in client.get("/api/builds").json()}
    assert lines.pop(f"x{mine}") == unfit["why"]  # what was foretold is what the list says
    assert set(lines.values()) == {None}
    assert client.put("/api/backup", content=odd.read_bytes(), headers=FILE).json()["unfit"] == []  # it is here already
    client.delete("/api/backup")
