"""One bad build is one bad line: it says what is wrong, can be exported, deleted, brought back, and stops no other."""

import json

import pytest
from sqlmodel import Session, select

from fuseau.app import session as session_module
from fuseau.document.build import Build
from fuseau.planning.pipeline import plan as real_plan
from fuseau.store.tables import RevisionRow
from tests.app.conftest import FILE, edit


def spoil(client, sheet, document):
    """What is kept of the present state, as a fault of the disk or of an older Fuseau might leave it."""
    store = client.app.state.session.workshop
    with Session(store.engine) as session:
        row = session.exec(select(RevisionRow).where(RevisionRow.id == sheet["revision"])).one()
        row.document = document if isinstance(document, str) else document(row.document)
        session.add(row)
        session.commit()
    store.forget_read()


def with_part(**parts):
    return lambda kept: json.dumps(json.loads(kept) | parts)


@pytest.fixture
def failing(monkeypatch):
    """Planning fails on builds of this name, as a fault of Fuseau's would have it; the message holds a measure."""

    def plan(build, **more):
        if build.brief.name.startswith("Unlucky"):
            raise ZeroDivisionError(f"waist {build.wearer.waist.readings_mm}")
        return real_plan(build, **more)

    monkeypatch.setattr(session_module, "plan", plan)


def lines(client, archived=False):
    return {line["id"]: line for line in client.get("/api/builds", params={"archived": archived}).json()}


@pytest.mark.parametrize(
    ("document", "says"),
    [
        ("{", "what was kept of it is damaged"),
        ("", "what was kept of it is damaged"),
        ("[" * 100_000, "what was kept of it is damaged"),
        (with_part(kind="cloak"), "At kind: This has to be one of"),
        (with_part(versions=[{"number": 7}]), "versions.0.pattern"),
        (with_part(version=9), "At version"),
    ],
)
def test_a_build_that_cannot_be_read_is_one_line_and_can_be_brought_back(client, sheet, document, says):
    other = client.post("/api/builds", json={"name": "Saltmarsh"}).json()
    good = edit(client, sheet, "target.gap_mm", 45).json()
    sheet = edit(client, good, "target.gap_mm", 40).json()
    spoil(client, sheet, document)

    listed = lines(client)
    assert says in listed[sheet["id"]]["trouble"]
    assert listed[sheet["id"]]["name"] == "Tidewarden"
    assert listed[other["id"]]["trouble"] is None
    assert client.get("/api/wearers").status_code == 200
    opened = client.get(f"/api/builds/{sheet['id']}")
    assert (opened.status_code, says in opened.json()["sentence"]) == (422, True)
    exported = client.get(f"/api/builds/{sheet['id']}/build.fuseau.json")
    assert (exported.status_code, "Tidewarden" in exported.headers["content-disposition"]) == (200, True)

    history = client.get(f"/api/builds/{sheet['id']}/history").json()
    assert [one["present"] for one in history][:2] == [True, False]
    wish = {"revision": sheet["revision"], "to": history[1]["revision"]}
    back = client.post(f"/api/builds/{sheet['id']}/restore", json=wish).json()
    assert back["build"] == good["build"]
    assert lines(client)[sheet["id"]]["trouble"] is None
    undone = client.post(f"/api/builds/{sheet['id']}/undo", json={"revision": back["revision"]})
    assert (undone.status_code, says in undone.json()["sentence"]) == (422, True)
    assert client.get(f"/api/builds/{sheet['id']}").json()["revision"] == back["revision"], "the present state stays"


def test_a_build_that_cannot_be_read_can_be_undone_put_away_and_deleted(client, sheet):
    later = edit(client, sheet, "target.gap_mm", 40).json()
    spoil(client, later, "{")
    assert client.post(f"/api/builds/{sheet['id']}/archive").json()["trouble"]
    assert lines(client, archived=True)[sheet["id"]]["trouble"]
    client.post(f"/api/builds/{sheet['id']}/archive?archived=false")
    undone = client.post(f"/api/builds/{sheet['id']}/undo", json={"revision": later["revision"]}).json()
    assert undone["build"] == sheet["build"]
    assert client.delete(f"/api/builds/{sheet['id']}").status_code == 204
    assert lines(client) == {}


def test_what_fuseau_fails_to_work_out_is_not_kept_and_is_in_the_log_without_a_measure(client, sheet, failing):
    log = client.app.state.session.database.with_name("fuseau.log")
    refused = edit(client, sheet, "brief.name", "Unlucky")
    assert refused.status_code == 422
    assert refused.json()["log"] in refused.json()["sentence"]
    assert client.get(f"/api/builds/{sheet['id']}").json()["build"]["brief"]["name"] == "Tidewarden"
    written = log.read_text().replace(sheet["id"], "")  # which may hold any figures
    assert refused.json()["log"] in written
    assert "ZeroDivisionError" in written
    for measure in ("700", "704", "698"):
        assert measure not in written


def test_a_build_that_can_no_longer_be_worked_out_is_one_line_too(client, sheet, monkeypatch, failing):
    monkeypatch.undo()
    unlucky = edit(client, sheet, "brief.name", "Unlucky").json()
    other = client.post("/api/builds", json={"name": "Saltmarsh"}).json()
    monkeypatch.setattr(session_module, "plan", _failing_on("Unlucky"))
    listed = lines(client)
    assert "fails to work this garment out" in listed[unlucky["id"]]["trouble"]
    assert listed[other["id"]]["trouble"] is None
    assert client.get(f"/api/builds/{unlucky['id']}").json()["log"]
    assert client.get(f"/api/builds/{unlucky['id']}/build.fuseau.json").status_code == 200
    wish = {"revision": unlucky["revision"], "to": sheet["revision"]}
    assert client.post(f"/api/builds/{unlucky['id']}/restore", json=wish).json()["build"] == sheet["build"]


def _failing_on(name):
    def plan(build, **more):
        if build.brief.name.startswith(name):
            raise ZeroDivisionError
        return real_plan(build, **more)

    return plan


@pytest.mark.parametrize("way", ["new", "copy", "rehearse", "redo"])
def test_no_way_in_keeps_what_cannot_be_worked_out(client, sheet, monkeypatch, way):
    renamed = edit(client, sheet, "brief.name", "Unlucky").json()
    if way == "redo":
        undone = client.post(f"/api/builds/{sheet['id']}/undo", json={"revision": renamed["revision"]}).json()
    monkeypatch.setattr(session_module, "plan", _failing_on("Unlucky"))
    answer = {
        "new": lambda: client.post("/api/builds", json={"name": "Unlucky two"}),
        "copy": lambda: client.post(f"/api/builds/{sheet['id']}/duplicate"),
        "rehearse": lambda: client.post(f"/api/builds/{sheet['id']}/rehearse"),
        "redo": lambda: client.post(f"/api/builds/{sheet['id']}/redo", json={"revision": undone["revision"]}),
    }[way]()
    assert answer.status_code == 422
    assert answer.json()["log"]
    assert len(lines(client)) == 1


def test_an_import_and_the_command_line_say_the_same(client, tmp_path, capsys):
    import typer

    from fuseau.cli import _read

    kept = json.loads(Build().model_dump_json())
    files = {
        "crossed": {**kept, "wearer": {"underbust": {"height_side_mm": 90}, "ribs": {"height_side_mm": 120}}},
        "newer": {**kept, "version": 9},
        "odd": {**kept, "version": 1, "wearer": [1, 2]},
        "odder": {**kept, "version": 1, "wearer": {"waist": {"waist_to_side_mm": {}}}},
        "foreign": {"format": "else"},
    }
    for name, data in files.items():
        path = tmp_path / f"{name}.fuseau.json"
        path.write_text(json.dumps(data))
        answer = client.post("/api/builds/import", content=path.read_bytes(), headers=FILE)
        with pytest.raises(typer.Exit):
            _read(path)
        assert answer.status_code == 422, name
        assert capsys.readouterr().err.splitlines()[0] == f"{path.name}: {answer.json()['sentence']}"
    assert client.get("/api/builds").json() == []
