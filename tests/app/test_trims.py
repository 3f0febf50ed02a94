"""Trims over the API: put on, refused at their field, taken off; room for a motif."""

import pytest

from tests.app.conftest import edit


def put(client, sheet, group, **trim):
    body = {"revision": sheet["revision"], "trim": trim}
    return client.put(f"/api/builds/{sheet['id']}/trims/{group}", json=body)


def test_a_trim_is_put_on_changed_undone_and_taken_off(client, sheet):
    build = put(client, sheet, "along", name="beads", pitch_mm="1.5 cm").json()
    assert build["undoes"] == "Trim put on: beads"
    (shown,) = build["plan"]["trims"]["along"]
    assert shown["laid"]["pitch_mm"] == pytest.approx(15, abs=1)
    build = put(client, build, "along", key="t1", pitch_mm="3 cm").json()
    assert build["plan"]["trims"]["along"][0]["laid"]["count"] < shown["laid"]["count"]
    knot = next(one for one in build["thread"]["knots"] if one["stage"] == "trims")
    assert knot["note"] == "1 trim"
    taken = client.post(
        f"/api/builds/{build['id']}/trims/take", json={"revision": build["revision"], "key": "t1"}
    ).json()
    assert taken["plan"]["trims"] is None
    again = client.post(f"/api/builds/{build['id']}/undo", json={"revision": taken["revision"]}).json()
    assert [one["key"] for one in again["build"]["trims"]["along"]] == ["t1"]
    refused = client.post(f"/api/builds/{build['id']}/trims/take", json={"revision": again["revision"], "key": "t9"})
    assert refused.status_code == 422


@pytest.mark.parametrize(
    ("group", "trim", "at", "says"),
    [
        ("along", {"name": "beads", "pitch_mm": "0"}, "pitch_mm", "pitch"),
        ("along", {"name": "beads", "line": {"on": "seam", "seam": 9}}, "line.seam", "no such seam"),
        ("along", {"name": "beads", "line": {"on": "hem", "in_mm": "29 cm"}}, "line.in_mm", "lies off panel"),
        ("hanging", {"name": "frill", "tiers": [{"depth_mm": "6", "fullness": "0.5"}]}, "tiers.0.fullness", "fullness"),
        ("hanging", {"cut": "circle", "part": "half", "tiers": [{"depth_mm": "150"}]}, "part", "comes out of a cloth"),
        ("hanging", {"at_hand_mm": "6"}, "at_hand_mm", "does not even go once"),
        ("chains", {"span_mm": "30", "sag_mm": None, "length_mm": "20"}, "length_mm", "does not reach"),
        ("straps", {"front_mm": "50", "over_mm": "40"}, "front_mm", "top line is"),
        ("straps", {"back_mm": "55", "over_mm": "40"}, "back_mm", "top line is"),
        ("straps", {"kind": "off the shoulder"}, "arm_mm", "girth of the arm"),
        ("areas", {"name": "x", "panels": [9]}, "panels.0", "There is no panel 9"),
    ],
)  # fmt: skip
def test_what_can_not_be_is_told_at_its_field_and_nothing_is_kept(client, sheet, group, trim, at, says):
    answer = put(client, sheet, group, **trim)
    assert answer.status_code == 422, answer.text
    (fault, *_) = answer.json()["faults"]
    assert fault["at"] == f"trims.{group}.0.{at}"
    assert says in fault["sentence"]
    assert client.get(f"/api/builds/{sheet['id']}").json()["revision"] == sheet["revision"]


def test_a_trim_that_no_longer_lies_on_the_garment_is_a_caution_and_stops_nothing(client, sheet):
    build = put(client, sheet, "along", name="beads", line={"on": "seam", "seam": 6}).json()
    fewer = edit(client, build, "draft.panels", 4)
    assert fewer.status_code == 200
    told = [one for one in fewer.json()["plan"]["findings"] if one["stage"] == "trims"]
    assert told[0]["sentence"] == "There is no such seam: this half has 4 panels."
    assert not fewer.json()["plan"]["unmakeable"]


def test_room_for_a_motif_is_told_panel_by_panel(client, sheet):
    room = client.get(f"/api/builds/{sheet['id']}/trims/room", params={"wide": "2", "high": "3"}).json()
    assert [one["panel"] for one in room["rooms"]] == [1, 2, 3, 4, 5, 6]
    assert room["fits"]
    assert client.get(f"/api/builds/{sheet['id']}/trims/room", params={"wide": "40"}).json()["fits"] == []
    refused = client.get(f"/api/builds/{sheet['id']}/trims/room", params={"wide": "wide"})
    assert (refused.status_code, refused.json()["faults"][0]["at"]) == (422, "wide")


def test_trims_are_shopped_for_and_laid_on_the_table(client, sheet):
    build = put(client, sheet, "along", name="amber beads", pitch_mm="1 cm", at_hand="20").json()
    build = put(
        client, build, "hanging", name="skirt", cloth="organza", tiers=[{"depth_mm": "60", "fullness": 2}]
    ).json()
    cloths = {one["cloth"]: one for one in client.get(f"/api/builds/{sheet['id']}/cut").json()["cloths"]}
    assert [piece["label"] for piece in cloths["organza"]["pieces"]] == ["skirt"]
    assert "amber beads" in client.get("/api/shopping").text


def test_a_strap_meets_the_shoulder_piece_of_another_garment_of_hers(client, sheet):
    named = edit(client, sheet, "wearer.name", "Marit").json()
    bodice = put(client, named, "straps", name="strap", over_mm="40 cm").json()
    assert bodice["taught"] == []
    collar = client.post("/api/builds", json={"name": "Ash collar", "kind": "neck corset"}).json()
    changes = [
        {"at": "wearer.name", "value": "marit"},
        {"at": "wearer.collarbone.readings_mm", "value": ["47"]},
        {"at": "draft.shoulder_pieces", "value": True},
    ]
    body = {"revision": collar["revision"], "changes": changes}
    collar = client.post(f"/api/builds/{collar['id']}/changes", json=body).json()
    (there,) = collar["taught"]
    assert (there["stage"], there["at"]) == ("pattern", "draft.shoulder_pieces")
    (here,) = client.get(f"/api/builds/{bodice['id']}").json()["taught"]
    assert "The shoulder piece of Ash collar" in here["sentence"]
    client.delete(f"/api/builds/{collar['id']}")
    assert client.get(f"/api/builds/{bodice['id']}").json()["taught"] == []
