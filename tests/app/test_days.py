"""A day whose year can't be meant is told at its field wherever a day is written, and nothing is kept of it."""

import datetime

import pytest

from tests.app.conftest import edit

SAID = "The year 26 can't be right: write all four digits, 1900 to 2199."
DAY = "0026-12-24"


def told(answer):
    assert answer.status_code == 422, answer.text
    trouble = answer.json()
    assert SAID in [one["sentence"] for one in trouble["faults"]], trouble
    return next(one["at"] for one in trouble["faults"] if one["sentence"] == SAID)


def unchanged(client, sheet):
    return client.get(f"/api/builds/{sheet['id']}").json()["revision"] == sheet["revision"]


@pytest.mark.parametrize(
    ("at", "value"),
    [
        ("brief.needed_on", DAY),
        ("record.finished_on", DAY),
        ("record.wears", [{"on": DAY, "note": "to the ball"}]),
    ],
)
def test_in_a_field_of_the_build(client, sheet, at, value):
    assert told(edit(client, sheet, at, value)).startswith(at)
    assert unchanged(client, sheet)


@pytest.mark.parametrize(
    ("path", "body", "at"),
    [
        ("make/appoint", {"step": "fitting 1", "on": DAY}, "on"),
        ("make/log", {"entry": {"step": "pattern", "on": DAY, "minutes": 20}}, "on"),
        ("book", {"taken_on": DAY}, "taken_on"),
    ],
)
def test_in_what_is_sent_of_it(client, sheet, path, body, at):
    answer = client.post(f"/api/builds/{sheet['id']}/{path}", json={"revision": sheet["revision"], **body})
    assert told(answer).endswith(at)
    assert unchanged(client, sheet)


def test_of_an_order_and_of_her_hours(client):
    line = {"article": {"sort": "lace", "kind": "cord_4"}, "packs": 1}
    answer = client.post("/api/orders", json={"shop": "The corner shop", "lines": [line], "due_on": DAY})
    assert answer.status_code == 422
    assert any(one["at"].endswith("due_on") and one["sentence"] == SAID for one in answer.json()["faults"])
    hours = client.get("/api/house").json()["hours"]
    assert told(client.patch("/api/house", json={"hours": {**hours, "off": ["2026-12-24", DAY]}})) == "hours.off.1"
    assert client.get("/api/house").json()["hours"] == hours


def test_what_was_kept_before_such_days_were_looked_at_opens_and_can_be_mended(client, sheet, app):
    """As a workshop of an earlier version may hold it."""
    workshop = app.state.session.workshop
    build = workshop.open(sheet["id"]).build
    odd = build.model_copy(
        update={"brief": build.brief.model_copy(update={"needed_on": datetime.date.fromisoformat(DAY)})}
    )
    workshop.edit(sheet["id"], sheet["revision"], odd, "long ago")
    workshop.forget_read()
    opened = client.get(f"/api/builds/{sheet['id']}")
    assert opened.status_code == 200
    assert opened.json()["build"]["brief"]["needed_on"] == DAY
    assert any(line["id"] == sheet["id"] for line in client.get("/api/builds").json())
    assert edit(client, opened.json(), "wearer.name", "Ilse").status_code == 200  # elsewhere she works on
    opened = client.get(f"/api/builds/{sheet['id']}").json()
    assert told(edit(client, opened, "brief.name", "Tidewarden II")) == "brief.needed_on"
    mended = edit(client, opened, "brief.needed_on", "2026-12-24").json()
    assert edit(client, mended, "brief.name", "Tidewarden II").status_code == 200
