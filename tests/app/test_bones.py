"""Bones, front and back over HTTP: schools, cutting, catalogue, cut bones, and what is printed."""

import io

import pytest
from pypdf import PdfReader

from fuseau.craft.base.findings import Change
from fuseau.wording.history import label_of
from tests.app.conftest import edit

STEEL = {
    "label": "Narrow steel",
    "material": "flat steel",
    "width_mm": "5 mm",
    "thickness_mm": "0.6 mm",
    "g_per_m": "20",
}


def put_kind(client, sheet, **fields):
    body = {"revision": sheet["revision"], "kind": {**STEEL, **fields}}
    return client.put(f"/api/builds/{sheet['id']}/catalogue/bones", json=body)


def test_the_schools_are_compared_and_one_is_taken(client, sheet):
    base = f"/api/builds/{sheet['id']}"
    found = client.get(f"{base}/bones/schools").json()
    assert [one["name"] for one in found] == ["all steel", "mixed", "synthetic", "plastic"]
    plastic = found[-1]
    body = {"revision": sheet["revision"], "changes": plastic["changes"], "label": "Bones: plastic"}
    taken = client.post(f"{base}/changes", json=body).json()
    assert taken["plan"]["final"]["shape"]["bow_mm"] == pytest.approx(plastic["bow_mm"], abs=1e-6)
    assert taken["plan"]["boning"] == plastic["boning"]
    again = client.get(f"{base}/bones/schools").json()
    assert [one["name"] for one in again if one["chosen"]] == ["plastic"]
    assert taken["undoes"] == "Bones: plastic"


def test_the_cutting_follows_the_shelf(client, sheet):
    base = f"/api/builds/{sheet['id']}"
    before = client.get(f"{base}/bones/cutting").json()
    assert all(one["proven"] for one in before)
    flat = next(one for one in before if one["kind"] == "flat_12")
    assert [piece["source"] for piece in flat["pieces"]] == ["coil"]
    piece = {"sort": "bone", "name": "flat_12", "label": "flat steel 12", "length_mm": "48 cm", "count": "1"}
    assert client.post("/api/shelf/pieces", json={"pieces": [piece]}).status_code == 201
    after = next(one for one in client.get(f"{base}/bones/cutting").json() if one["kind"] == "flat_12")
    assert after["coil_mm"] < flat["coil_mm"]
    # reserved for another build it is not there for this one
    other = client.post("/api/builds", json={"name": "Other"}).json()
    kept = client.post("/api/shelf/pieces/s1/reserve", json={"build": other["id"]}).json()
    assert kept["pieces"][0]["free"] == 0
    again = next(one for one in client.get(f"{base}/bones/cutting").json() if one["kind"] == "flat_12")
    assert again["coil_mm"] == flat["coil_mm"]


def test_bones_are_cut_and_then_held_against_the_pattern(client, sheet):
    base = f"/api/builds/{sheet['id']}"
    cut = client.post(f"{base}/bones/cut", json={"revision": sheet["revision"]}).json()
    assert {fate["what"] for fate in cut["plan"]["reuse"]["bones"]} == {"stays"}
    lower = edit(client, cut, "draft.top.cf_mm", "6 cm").json()
    assert {fate["what"] for fate in lower["plan"]["reuse"]["bones"]} != {"stays"}
    undone = client.post(f"{base}/undo", json={"revision": lower["revision"]}).json()
    undone = client.post(f"{base}/undo", json={"revision": undone["revision"]}).json()
    assert undone["plan"]["reuse"] is None
    assert undone["redoes"] == "Bones cut"


def test_a_kind_is_added_changed_used_and_refused_at_its_field(client, sheet):
    kept = put_kind(client, sheet)
    assert kept.status_code == 200, kept.text
    mine = kept.json()["build"]["catalogue"]["bones"]["narrow_steel"]
    assert (mine["width_mm"], mine["thickness_mm"], mine["g_per_m"]) == (5, 0.6, 20)
    wrong = put_kind(client, kept.json(), width_mm="0 mm", name="narrow_steel")
    assert wrong.status_code == 422
    assert wrong.json()["faults"][0]["at"] == "catalogue.bones.narrow_steel.width_mm"
    assert "2 to 30 mm" in wrong.json()["faults"][0]["sentence"]


def test_a_kind_too_wide_is_refused_and_nothing_is_lost(client, sheet):
    refused = put_kind(client, sheet, width_mm="50 mm")
    assert refused.status_code == 422
    now = client.get(f"/api/builds/{sheet['id']}").json()
    assert now["revision"] == sheet["revision"]
    fixed = put_kind(client, now, width_mm="5 mm").json()
    used = edit(client, fixed, "bones.seams", "narrow_steel").json()
    gone = edit(client, used, "catalogue.bones.narrow_steel", None)
    assert gone.status_code == 422
    assert "no kind of bone called" in gone.json()["faults"][0]["sentence"]


@pytest.mark.parametrize(
    ("path", "word"),
    [
        ("bones.pdf?paper=letter", "cut 2"),
        ("bones.pdf?mock_up=true", "cable tie"),
        ("front.pdf", "loop side"),
        ("holes.pdf", "lacing edge"),
    ],
)
def test_strips_are_printed(client, sheet, path, word):
    answer = client.get(f"/api/builds/{sheet['id']}/{path}")
    assert answer.status_code == 200
    assert answer.headers["content-type"] == "application/pdf"
    assert "Tidewarden" in answer.headers["content-disposition"]
    text = " ".join(page.extract_text() for page in PdfReader(io.BytesIO(answer.content)).pages)
    assert word in text


def test_a_front_that_does_not_open_has_nothing_to_print(client, sheet):
    closed = edit(client, sheet, "front.opening", "none").json()
    answer = client.get(f"/api/builds/{closed['id']}/front.pdf")
    assert answer.status_code == 422
    assert "Nothing opens in front" in answer.json()["sentence"]


def test_a_seam_that_is_not_there_is_refused_as_the_line_of_a_zip(client, sheet):
    zipped = edit(client, sheet, "front.opening", "zip").json()
    refused = edit(client, zipped, "front.line", "8·9")
    assert refused.status_code == 422
    assert "There is no seam 8·9" in refused.text
    assert edit(client, zipped, "front.line", "side").json()["plan"]["opening"]["seam"] == 3


def test_the_catalogue_tells_what_there_is_to_choose_from(client):
    found = client.get("/api/catalogue").json()
    assert {one["name"] for one in found["bones"]} >= {"flat_12", "spiral_6", "woven_8", "plastic_6"}
    assert found["busks"][0]["length_mm"] == 165
    assert {one["name"] for one in found["laces"]} >= {"cord_4", "ribbon_10"}


@pytest.mark.parametrize(
    ("at", "value", "said"),
    [
        ("bones.between", [{"panel": 2}], "Channels between the seams"),
        ("bones.on_seams.2·3", "CB side", "Bones channel at seam 2·3 CB side"),
        ("front.opening", "zip", "Front opening zip"),
        ("back.lace", "flat_8", "Lace"),
    ],
)
def test_changes_of_hardware_are_called_in_the_makers_words(at, value, said):
    assert label_of([Change(at=at, value=value)]).startswith(said)


@pytest.mark.parametrize(
    ("changes", "word"),
    [
        ({}, "230 mm busk"),
        ({"front.opening": "none"}, "no opening"),
        ({"front.opening": "hooks"}, "hooks"),
        ({"front.opening": "zip", "draft.top.cf_mm": "5 cm", "draft.hem.cf_mm": "5 cm"}, "zip"),
    ],
)
def test_the_thread_says_how_the_front_opens_and_how_many_bones(client, sheet, changes, word):
    for at, value in changes.items():
        answer = edit(client, sheet, at, value)
        assert answer.status_code == 200, answer.text
        sheet = answer.json()
    knots = {knot["stage"]: knot for knot in sheet["thread"]["knots"]}
    assert knots["front"]["note"] == word
    doubled = edit(client, sheet, "bones.doubled", ["2·3"]).json()
    after = {knot["stage"]: knot["note"] for knot in doubled["thread"]["knots"]}
    assert int(after["bones"].split()[0]) == int(knots["bones"]["note"].split()[0]) + 2


def test_cut_bones_use_the_shelf_up_and_put_their_rests_back_and_can_be_not_cut(client, sheet):
    base = f"/api/builds/{sheet['id']}"
    piece = {"sort": "bone", "name": "flat_12", "label": "flat steel 12", "length_mm": "60 cm", "count": "3"}
    client.post("/api/shelf/pieces", json={"pieces": [piece]})
    plans = client.get(f"{base}/bones/cutting").json()
    flat = next(one for one in plans if one["kind"] == "flat_12")
    used = [one for one in flat["pieces"] if one["source"] == "shelf"]
    assert used
    cut = client.post(f"{base}/bones/cut", json={"revision": sheet["revision"]}).json()
    lying = [one["piece"] for one in client.get("/api/shelf").json()["pieces"]]
    whole = sum(one["count"] for one in lying if one["length_mm"] == 600)
    assert whole == 3 - len(used)
    rests = sorted(one["length_mm"] for one in lying if one["length_mm"] != 600)
    assert rests == sorted(one["rest_mm"] for one in used if one["rest_mm"] >= 60)
    assert not [
        one for one in client.get("/api/shopping").json()["shopping"]["wants"] if one["need"]["stage"] == "bones"
    ]
    back = client.post(f"{base}/bones/uncut", json={"revision": cut["revision"]}).json()
    assert back["plan"]["reuse"] is None
    assert [one["piece"]["count"] for one in client.get("/api/shelf").json()["pieces"]] == [3]


def test_bones_that_others_have_kept_are_not_cut_though_they_are_as_long(client, sheet):
    base = f"/api/builds/{sheet['id']}"
    piece = {"sort": "bone", "name": "flat_12", "label": "flat steel 12", "length_mm": "60 cm", "count": "1"}
    client.post("/api/shelf/pieces", json={"pieces": [piece, piece]})
    other = client.post("/api/builds", json={"name": "Other"}).json()
    client.post("/api/shelf/pieces/s1/reserve", json={"build": other["id"]})
    client.post(f"{base}/bones/cut", json={"revision": sheet["revision"]})
    there = {one["piece"]["id"]: one for one in client.get("/api/shelf").json()["pieces"]}
    assert there["s1"]["reserved"][0]["build"] == other["id"]
    assert "s2" not in there


def test_a_unit_is_a_way_of_reading_and_no_decision(client, sheet):
    """Switching to inches and back changes no bone, busk, lace or row: only how they are shown."""
    before = client.get(f"/api/builds/{sheet['id']}").json()["plan"]
    assert client.patch("/api/house", json={"unit": "in"}).status_code == 200
    told = client.get(f"/api/builds/{sheet['id']}").json()["plan"]
    assert told["busk"]["reason"] != before["busk"]["reason"]
    for part in ("bones", "busk", "lace", "holes", "boning", "waist_tape", "modesty"):
        assert dict(numbers(told[part])) == dict(numbers(before[part])), part


def numbers(value, at=""):
    """Every number in an answer, by where it stands: the words are in the unit that is read in."""
    if isinstance(value, dict):
        for key, inner in value.items():
            yield from numbers(inner, f"{at}.{key}")
    elif isinstance(value, list):
        for i, inner in enumerate(value):
            yield from numbers(inner, f"{at}.{i}")
    elif isinstance(value, int | float):
        yield at, value
