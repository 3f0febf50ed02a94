"""The box of cards over the API: found, compared, saved as one file and taken in again."""

import datetime
import io

import pytest
from PIL import Image

from tests.app.conftest import FILE, edit
from tests.files.test_pictures import picture

TODAY = datetime.date.today().isoformat()


def finish(client, sheet, **record):
    fields = {"finished_on": TODAY, **record}
    changes = [{"at": f"record.{name}", "value": value} for name, value in fields.items()]
    answer = client.post(f"/api/builds/{sheet['id']}/changes", json={"revision": sheet["revision"], "changes": changes})
    assert answer.status_code == 200, answer.text
    return answer.json()


def found(client, words="", kind=""):
    return client.get("/api/cards", params={"words": words, "kind": kind}).json()


@pytest.fixture
def photo(client):
    kept = client.post("/api/photos", content=picture(), headers=FILE).json()
    return {**kept, "view": "front"}


def test_a_card_is_in_the_box_once_its_garment_is_finished_and_follows_every_change(client, sheet):
    assert found(client) == {"found": [], "count": 0, "in_all": 0, "kinds": []}
    done = finish(client, sheet, likes=["lies flat"])
    (line,) = found(client)["found"]
    assert (line["id"], line["name"], line["hits"]) == (sheet["id"], "Tidewarden", [])
    assert found(client, "LIES flat")["found"][0]["hits"][0] == "likes: lies flat"
    assert found(client, "rosette")["found"] == []
    assert found(client, kind="cincher") == {"found": [], "count": 0, "in_all": 1, "kinds": ["underbust corset"]}
    more = edit(client, done, "record.likes", ["a rosette"]).json()
    assert [one["id"] for one in found(client, "rosette")["found"]] == [sheet["id"]]
    assert found(client, "lies")["found"] == []
    client.post(f"/api/builds/{sheet['id']}/archive?archived=true")
    assert len(found(client)["found"]) == 1
    client.post(f"/api/builds/{sheet['id']}/undo", json={"revision": more["revision"]})
    assert len(found(client, "lies")["found"]) == 1
    client.delete(f"/api/builds/{sheet['id']}")
    assert found(client)["in_all"] == 0
    client.post(f"/api/builds/{sheet['id']}/undelete")
    assert found(client)["in_all"] == 1


def test_cards_are_kept_in_the_database_and_said_in_the_unit_that_is_set(client, sheet):
    finish(client, sheet)
    first = found(client)["found"][0]["facts"][0]
    assert (first["name"], first["value"][-2:]) == ("closed waist", "cm")
    session = client.app.state.session
    session.cards.forget_read()
    assert found(client)["found"][0]["facts"][0] == first
    client.patch("/api/house", json={"unit": "in"})
    assert found(client)["found"][0]["facts"][0]["value"].endswith("in")
    assert found(client, first["value"])["found"] == []


def test_two_cards_are_laid_side_by_side(client, sheet):
    done = finish(client, sheet)
    other = client.post(f"/api/builds/{sheet['id']}/duplicate?again=true").json()
    other = client.get(f"/api/builds/{other['id']}").json()
    other = edit(client, other, "draft.panels", 4).json()
    side = client.get("/api/cards/compare", params={"first": done["id"], "second": other["id"]}).json()
    assert (side["first"], side["second"]) == ("Tidewarden", "Tidewarden, again")
    panels = next(one for one in side["lines"] if one["name"] == "panels")
    assert panels == {
        "group": "made of",
        "name": "panels",
        "first": "6 in each half",
        "second": "4 in each half",
        "differs": True,
        "by": "−2",
    }
    assert client.get("/api/cards/compare", params={"first": done["id"], "second": "gone"}).status_code == 404


def test_a_card_saved_as_one_file_is_taken_in_with_its_photos_and_words(client, sheet, photo):
    build = finish(client, sheet, likes=["lies flat"], photos=[photo])
    saved = client.get(f"/api/builds/{build['id']}/card.pdf?whole=true")
    assert saved.headers["content-type"] == "application/pdf"
    line = client.post("/api/builds/import", content=saved.content, headers=FILE)
    assert line.status_code == 201, line.text
    again = client.get(f"/api/builds/{line.json()['id']}").json()["build"]
    assert again["record"]["likes"] == ["lies flat"]
    assert [one["view"] for one in again["record"]["photos"]] == ["front"]
    assert client.get(f"/api/pictures/{again['record']['photos'][0]['id']}").status_code == 200
    plain = client.get(f"/api/builds/{build['id']}/card.pdf").content
    refused = client.post("/api/builds/import", content=plain, headers=FILE)
    assert refused.status_code == 422
    assert "carries no build" in refused.json()["sentence"]
    shown = client.get(f"/api/builds/{build['id']}/card.png").content
    assert Image.open(io.BytesIO(shown)).width > 1000


def test_a_photo_of_the_work_stays_with_its_entry(client, sheet, photo):
    body = {"revision": sheet["revision"], "entry": {"step": "mock-up 1", "minutes": 5}}
    build = client.post(f"/api/builds/{sheet['id']}/make/log", json=body).json()
    shot = {name: photo[name] for name in ("id", "width_px", "height_px")}
    build = edit(client, build, "make.log.0.photos", [shot]).json()
    assert build["build"]["make"]["log"][0]["photos"][0]["id"] == photo["id"]
    refused = edit(client, build, "make.log.0.photos", [{**shot, "id": "x"}])
    assert refused.status_code == 422
    text = client.get(f"/api/builds/{build['id']}/build.fuseau.json").json()
    assert list(text["attached"]) == [photo["id"]]


def test_what_a_cloth_taught_stands_with_the_build(client, sheet):
    other = client.post(f"/api/builds/{sheet['id']}/duplicate").json()
    wears = [{"on": "2026-01-02", "gap_mm": 52}, {"on": "2026-02-02", "gap_mm": 40}]
    finish(client, sheet, wears=wears)
    found(client)
    new = client.get(f"/api/builds/{other['id']}").json()
    (said,) = new["taught"]
    assert "Tidewarden" in said["sentence"]
    mended = edit(client, new, said["mend"]["changes"][0]["at"], said["mend"]["changes"][0]["value"]).json()
    assert [one["mend"] for one in mended["taught"]] == [None]
