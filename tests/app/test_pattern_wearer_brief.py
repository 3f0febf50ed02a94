"""The API of the pattern, the book and the pictures."""

import io

import pytest
from PIL import Image

from fuseau.files.document import read_document
from tests.app.conftest import FILE
from tests.conftest import MEASURES


def new(client, name="Tidewarden", measures=MEASURES):
    line = client.post("/api/builds", json={"name": name}).json()
    changes = [{"at": f"wearer.{at}", "value": level} for at, level in measures.items()]
    changes.append({"at": "wearer.name", "value": "Ottilie"})
    return client.post(
        f"/api/builds/{line['id']}/changes", json={"revision": line["revision"], "changes": changes}
    ).json()


@pytest.fixture
def sheet(client):
    return new(client)


def post(client, sheet, path, **body):
    return client.post(f"/api/builds/{sheet['id']}/{path}", json={"revision": sheet["revision"], **body})


def edited(client, sheet, *edits):
    return post(client, sheet, "pattern", edits=list(edits))


GUSSET = {"kind": "gusset", "seam": 2, "end": "hem", "width_mm": "4", "depth_mm": "9"}
SEAM = {"kind": "seam", "seam": 3, "at_mm": 0, "amount_mm": "2 mm"}


def test_the_first_edit_begins_a_version_that_later_edits_draw_on_until_it_is_cut(client, sheet):
    first = edited(client, sheet, SEAM).json()
    (version,) = first["build"]["versions"]
    assert version["cut"] is False
    assert version["changes"] == ["seam 3·4 let out by 2 mm on each edge"]
    second = edited(client, first, {"kind": "point", "end": "top", "place": 0, "z_mm": "12 cm"}).json()
    assert len(second["build"]["versions"]) == 1
    assert len(second["build"]["versions"][0]["changes"]) == 2
    assert second["plan"]["pattern"]["top"]["cf_mm"] == 120
    cut = post(client, second, "versions", what="fix").json()
    assert cut["build"]["versions"][0]["cut"] is True
    third = edited(client, cut, SEAM).json()
    assert [one["number"] for one in third["build"]["versions"]] == [1, 2]
    assert third["build"]["versions"][0] == cut["build"]["versions"][0]
    assert third["build"]["versions"][1]["parent"] == 1
    undone = post(client, third, "undo").json()
    assert undone["build"] == cut["build"]
    refused = post(client, undone, "versions", what="fix")
    assert "no version that is still drawn on" in refused.json()["sentence"]


def test_a_preview_shows_the_trued_pattern_and_keeps_nothing(client, sheet):
    found = client.post(f"/api/builds/{sheet['id']}/pattern/preview", json={"edits": [SEAM]}).json()
    before = {level["name"]: level["closed_mm"] for level in sheet["plan"]["levels"]}
    assert found["sewn_mm"]["waist"] == pytest.approx(before["waist"] + 8, abs=0.01)
    for seam in found["seams"]:
        assert seam["cf_side_mm"] == pytest.approx(seam["cb_side_mm"], abs=0.5)
    assert client.get(f"/api/builds/{sheet['id']}").json()["revision"] == sheet["revision"]


@pytest.mark.parametrize(
    ("change", "at", "says"),
    [
        ({**SEAM, "amount_mm": "lots"}, "edit.amount_mm", "is not a length"),
        ({**SEAM, "amount_mm": "-50 mm"}, "edit.amount_mm", "15 mm at the least"),
        ({**SEAM, "seam": 12}, "edit.seam", "seams 1·2 to 5·6"),
        (
            {"kind": "gusset", "seam": 2, "end": "hem", "width_mm": "0", "depth_mm": "9"},
            "edit.width_mm",
            "can't be right",
        ),
        ({"kind": "point", "end": "top", "place": 0, "z_mm": "-3 cm"}, "draft.top.cf_mm", "above the waist"),
        ({"kind": "no such"}, "edit", ""),
    ],
)
def test_edits_that_cannot_be_are_told_at_their_field(client, sheet, change, at, says):
    refused = edited(client, sheet, change)
    assert refused.status_code == 422
    fault = refused.json()["faults"][0]
    assert fault["at"].startswith(at)
    assert says in fault["sentence"]
    assert client.get(f"/api/builds/{sheet['id']}").json()["revision"] == sheet["revision"]


def test_a_stale_edit_of_the_pattern_is_refused(client, sheet):
    edited(client, sheet, SEAM)
    assert edited(client, sheet, SEAM).status_code == 409


def test_a_drawing_is_read_checked_and_kept_as_a_version(client, sheet):
    content = client.get(f"/api/builds/{sheet['id']}/pattern.svg").content
    drawing = client.post("/api/drawings?name=tide.svg", content=content, headers=FILE).json()
    pieces = [
        {"points": piece["points"], "number": i + 1, "waist_mm": piece["waist_mm"]}
        for i, piece in enumerate(drawing["pieces"])
    ]
    traced = {"pieces": pieces, "front_panels": 3}
    checked = client.post(f"/api/builds/{sheet['id']}/traced/check", json=traced).json()
    assert checked["misfits"] == []
    before = {level["name"]: level["closed_mm"] for level in sheet["plan"]["levels"]}
    assert checked["sewn_mm"]["waist"] == pytest.approx(before["waist"], abs=0.2)
    kept = post(client, sheet, "traced", traced=traced, name="tide.svg").json()
    assert kept["build"]["versions"][0]["reason"] == "traced from tide.svg"
    bad = client.post("/api/drawings?name=bad.svg", content=b"<svg><script/></svg>", headers=FILE)
    assert bad.status_code == 422
    assert "holds a script" in bad.json()["sentence"]
    refused = post(client, kept, "traced", traced={"pieces": pieces, "front_panels": 6}, name="x")
    assert refused.status_code == 422


def test_a_build_is_refitted_to_another_wearer_and_kinds_must_be_alike(client, sheet):
    bigger = {**MEASURES, "waist": {"readings_mm": [760]}, "underbust": {"readings_mm": [830]}}
    other = new(client, "Reed piper", bigger)
    done = post(client, other, "refit", source=sheet["id"]).json()
    waist = next(level for level in done["plan"]["levels"] if level["name"] == "waist")
    assert waist["closed_mm"] == pytest.approx(done["plan"]["aim"]["closed_waist_mm"], abs=0.5)
    changed = post(client, done, "changes", changes=[{"at": "kind", "value": "cincher"}]).json()
    refused = post(client, changed, "refit", source=sheet["id"])
    assert "make them alike first" in refused.json()["sentence"]


def test_the_book_keeps_measurings_apart_and_says_what_a_newer_one_changes(client, sheet):
    first = post(client, sheet, "book", taken_on="2026-10-01").json()
    assert first["build"]["measuring"]["taken_on"] == "2026-10-01"
    other = new(client, "Reed piper", {**MEASURES, "waist": {"readings_mm": [688]}})
    taken = post(client, other, "book", taken_on="2026-11-02").json()
    (entry,) = client.get("/api/wearers").json()
    assert [one["taken_on"] for one in entry["measurings"]] == ["2026-11-02", "2026-10-01"]
    assert {one["name"]: one["newest"] for one in entry["builds"]} == {"Tidewarden": False, "Reed piper": True}
    now = client.get(f"/api/builds/{sheet['id']}").json()
    assert now["newer"]["id"] == taken["build"]["measuring"]["measuring_id"]
    looked = client.get(f"/api/builds/{sheet['id']}/measurings/{now['newer']['id']}").json()
    moved = {level["name"]: level["after_mm"] - level["before_mm"] for level in looked["body"]}
    assert moved["waist"] == pytest.approx(688 - 700.667, abs=0.01)
    sewn = {level["name"]: level["after_mm"] - level["before_mm"] for level in looked["sewn"]}
    assert sewn["waist"] < -5
    assert client.get(f"/api/builds/{sheet['id']}").json()["revision"] == now["revision"]
    after = post(client, now, "measuring", measuring_id=now["newer"]["id"]).json()
    assert after["newer"] is None
    assert after["build"]["wearer"]["waist"]["readings_mm"] == [688]
    assert post(client, after, "undo").json()["build"]["wearer"]["waist"]["readings_mm"] != [688]
    assert client.delete(f"/api/wearers/{entry['id']}").status_code == 204
    assert client.get("/api/wearers").json() == []
    assert client.get(f"/api/builds/{sheet['id']}/measurings/{now['newer']['id']}").status_code == 404
    client.post(f"/api/wearers/{entry['id']}/undelete")
    assert len(client.get("/api/wearers").json()) == 1


def picture(colour="red"):
    target = io.BytesIO()
    Image.new("RGB", (80, 60), colour).save(target, "PNG")
    return target.getvalue()


def test_pictures_belong_to_the_brief_are_served_and_travel_with_the_file(client, sheet):
    path = f"/api/builds/{sheet['id']}/pictures"
    added = client.post(
        f"{path}?revision={sheet['revision']}&name=lamp.png&role=sketch", content=picture(), headers=FILE
    ).json()
    (one,) = added["build"]["brief"]["pictures"]
    assert (one["name"], one["role"], one["width_px"]) == ("lamp", "sketch", 80)
    shown = client.get(f"/api/pictures/{one['id']}")
    assert shown.headers["content-type"] == "image/jpeg"
    twice = client.post(f"{path}?revision={added['revision']}&name=again.png", content=picture(), headers=FILE)
    assert "here already" in twice.json()["sentence"]
    bad = client.post(f"{path}?revision={added['revision']}&name=x.png", content=b"no", headers=FILE)
    assert bad.status_code == 422
    marks = [{"kind": "hem", "points": [[0.1, 0.9], [0.9, 0.9]]}]
    marked = post(client, added, "changes", changes=[{"at": "brief.pictures.0.marks", "value": marks}]).json()
    assert marked["build"]["brief"]["pictures"][0]["marks"][0]["kind"] == "hem"
    file = client.get(f"/api/builds/{sheet['id']}/build.fuseau.json").content
    assert read_document(file).brief.pictures[0].id == one["id"]
    client.app.state.session.pictures._engine.dispose()
    line = client.post("/api/builds/import", content=file, headers=FILE).json()
    assert line["picture"] == one["id"]
    assert client.get(f"/api/pictures/{'0' * 64}").status_code == 404
    outside = [{"kind": "hem", "points": [[0.1, 0.9], [0.9, 1.9]]}]
    assert (
        post(client, marked, "changes", changes=[{"at": "brief.pictures.0.marks", "value": outside}]).status_code == 422
    )


def test_the_brief_drives_defaults_visibly(client, sheet):
    changes = [{"at": "brief.alone", "value": True}, {"at": "brief.hours_worn", "value": "9"}]
    changes += [{"at": "front.opening", "value": "none"}, {"at": "target.reduction_percent", "value": 12}]
    after = post(client, sheet, "changes", changes=changes).json()
    said = {one["because"]: one for one in after["consequences"]}
    assert said["she gets in alone"]["changes"] == [{"at": "front.opening", "value": "busk"}]
    made = post(client, after, "changes", changes=said["it is worn 9 hours"]["changes"]).json()
    again = {one["because"]: one for one in made["consequences"]}
    assert again["it is worn 9 hours"]["changes"] == []
    assert made["job"] == "reduction"
    wrong = post(client, made, "changes", changes=[{"at": "brief.hours_worn", "value": "30"}])
    assert "from 0 to 24" in wrong.json()["sentence"]


def test_another_kind_brings_its_defaults(client, sheet):
    after = post(client, sheet, "changes", changes=[{"at": "kind", "value": "boned bodice"}]).json()
    assert after["build"]["draft"]["panels"] == 4
    assert after["build"]["target"]["job"] == "none"
    assert after["plan"]["missing"] == ["bust"]
    kinds = client.get("/api/catalogue").json()["kinds"]
    assert len(kinds) == 8
    assert all(kind["what"] for kind in kinds)
