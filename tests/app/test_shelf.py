"""The shelf over the API: what is reserved, cut, put back, ordered and read from files, and what each refuses."""

import datetime
import json
import math

import pytest

from tests.app.conftest import FILE, edit

COUTIL = {"sort": "cloth", "name": "coutil", "label": "coutil", "length_mm": "2.2 m", "width_mm": "138 cm"}
HOLES = {"sort": "grommets", "name": "grommet_5", "label": "grommets", "count": 40}


@pytest.fixture
def build(client, sheet):
    cut = client.post(f"/api/builds/{sheet['id']}/versions", json={"revision": sheet["revision"], "what": "cut"})
    return cut.json()


def put(client, *pieces):
    answer = client.post("/api/shelf/pieces", json={"pieces": list(pieces)})
    assert answer.status_code == 201, answer.json()
    return answer.json()


def cut_as_seen(client, build, cloth):
    """A cloth cut as it is laid when one looks."""
    seen = client.get(f"/api/builds/{build['id']}/cut/{cloth}?seconds=1").json()
    body = {"revision": build["revision"], "uses": seen["uses"], "to_buy_mm": seen["to_buy_mm"]}
    return client.post(f"/api/builds/{build['id']}/cut/{cloth}/done", json=body)


def faults(answer):
    assert answer.status_code == 422
    return answer.json()["faults"][0]


def test_pieces_are_put_rewritten_taken_off_and_all_of_it_undone(client):
    shelf = put(client, COUTIL, HOLES)
    assert [(one["piece"]["id"], one["measure"], one["free"]) for one in shelf["pieces"]] == [
        ("s1", "length", 2200),
        ("s2", "piece", 40),
    ]
    shorter = client.put("/api/shelf/pieces/s1", json={"revision": shelf["revision"], "piece": {"length_mm": "150 cm"}})
    assert shorter.json()["pieces"][0]["amount"] == 1500
    stale = client.put("/api/shelf/pieces/s1", json={"revision": shelf["revision"], "piece": {"length_mm": "1 m"}})
    assert stale.status_code == 409
    assert stale.json()["changed"] == ["Written anew"]
    assert len(client.post("/api/shelf/pieces/s2/take-off", json={}).json()["pieces"]) == 1
    client.post("/api/shelf/undo", json={})
    back = client.post("/api/shelf/undo", json={}).json()
    assert (back["pieces"][0]["amount"], len(back["pieces"]), back["redoes"]) == (2200, 2, "Written anew")
    assert client.post("/api/shelf/redo", json={}).json()["pieces"][0]["amount"] == 1500
    client.post("/api/shelf/undo", json={})
    assert client.post("/api/shelf/undo", json={}).json()["pieces"] == []
    assert client.post("/api/shelf/undo", json={}).status_code == 409


def test_what_can_not_be_on_a_shelf_is_told_at_its_field(client):
    wrong = client.post("/api/shelf/pieces", json={"pieces": [COUTIL, {**HOLES, "count": "-2"}]})
    assert faults(wrong)["at"] == "pieces.1.count"
    crossing = {**COUTIL, "length_mm": None, "outline": [[0, 0], [300, 300], [300, 0], [0, 300]]}
    assert "crosses itself" in faults(client.post("/api/shelf/pieces", json={"pieces": [crossing]}))["sentence"]
    assert client.get("/api/shelf").json()["pieces"] == []


def test_the_same_grommets_are_not_reserved_twice(client, build):
    put(client, HOLES)
    other = client.post("/api/builds", json={"name": "Other"}).json()
    base = "/api/shelf/pieces/s1/reserve"
    assert client.post(base, json={"build": build["id"], "amount": "30"}).json()["pieces"][0]["free"] == 10
    refused = client.post(base, json={"build": other["id"], "amount": 11})
    assert "so much is not left" in faults(refused)["sentence"]
    assert faults(client.post(base, json={"build": other["id"], "amount": "a few"}))["at"] == "amount"
    assert client.post(base, json={"build": "nobody"}).status_code == 404
    client.delete(f"/api/builds/{build['id']}")  # what a deleted build had reserved is free again
    assert client.get("/api/shelf").json()["pieces"][0]["free"] == 40


def test_a_cloth_is_laid_on_what_there_is_and_cut_and_the_rest_lies_on_the_shelf(client, build):
    put(client, COUTIL)
    base = f"/api/builds/{build['id']}"
    laid = client.get(f"{base}/cut/coutil?seconds=1").json()
    assert laid["to_buy_mm"] == 0
    assert [one["piece"]["id"] for one in laid["at_hand"]] == ["s1"]
    used = max(x for one in laid["laying"]["sheets"][0]["placed"] for x, _ in one["outline"])
    reserved = client.post(f"{base}/reserve", json={"amounts": {"s1": used + 5}}).json()
    assert reserved["pieces"][0]["reserved"][0]["build"] == build["id"]
    cut = cut_as_seen(client, build, "coutil").json()
    done = cut["build"]["cut"]["done"]["coutil"]
    assert done["pieces"] == len(laid["laying"]["sheets"][0]["placed"])
    assert done["used"][0]["stock"]["length_mm"] == 2200
    left = client.get("/api/shelf").json()["pieces"]
    assert left[0]["amount"] == pytest.approx(2200 - used - 5, abs=0.2)
    assert left[0]["reserved"] == []
    assert client.get("/api/shelf").json()["undoes"].startswith("Cut: coutil")
    there = client.post("/api/shelf/undo", json={})  # the shelf is not taken back behind the build
    assert "say at the cutting table" in faults(there)["sentence"]
    assert "cut already" in faults(cut_as_seen(client, cut, "coutil"))["sentence"]
    # undone in the build, the shelf is as it was; done again, it is used up again
    undone = client.post(f"{base}/undo", json={"revision": cut["revision"]}).json()
    assert undone["build"]["cut"]["done"] == {}
    (whole,) = client.get("/api/shelf").json()["pieces"]
    assert (whole["amount"], whole["reserved"][0]["amount"]) == (2200, pytest.approx(used + 5))  # kept as before
    again = client.post(f"{base}/redo", json={"revision": undone["revision"]}).json()
    assert client.get("/api/shelf").json()["pieces"][0]["amount"] < 2200
    # a rest that is used elsewhere keeps the cutting from being undone
    assert client.put("/api/shelf/pieces/s1", json={"piece": {"length_mm": "30 cm"}}).status_code == 200
    kept = client.post(f"{base}/cut/coutil/not-done", json={"revision": again["revision"]})
    assert "used or reserved since" in faults(kept)["sentence"]
    assert client.get(base).json()["build"]["cut"]["done"]


def test_a_piece_is_left_aside_and_one_is_pinned(client, build):
    put(client, COUTIL)
    base = f"/api/builds/{build['id']}"
    aside = edit(client, build, "cut.leave", ["s1"]).json()
    assert client.get(f"{base}/cut/coutil?seconds=1").json()["to_buy_mm"] > 0
    used = edit(client, aside, "cut.leave", []).json()
    pin = {"sheet": "s1", "key": "2 strength 1", "mirrored": False, "angle_deg": 0, "x_mm": 700, "y_mm": 500}
    body = {"revision": used["revision"], "pinned": [pin]}
    put_down = client.put(f"{base}/cut/coutil/pinned", json=body).json()
    placed = client.get(f"{base}/cut/coutil?seconds=1").json()["laying"]["sheets"][0]["placed"]
    assert (700, 500) in [(one["x_mm"], one["y_mm"]) for one in placed]
    off = {"revision": put_down["revision"], "pinned": [{**pin, "y_mm": 1380}]}
    assert "off its cloth" in faults(client.put(f"{base}/cut/coutil/pinned", json=off))["sentence"]


def test_a_way_out_is_found_and_taken_and_undone(client, build):
    put(client, {**COUTIL, "name": "sateen", "label": "sateen", "length_mm": "52 cm"})
    base = f"/api/builds/{build['id']}"
    found = client.get(f"{base}/cut/sateen/ways").json()
    way = next(one for one in found["ways"] if one["fits"])
    given = {"revision": build["revision"], "changes": way["changes"], "edits": way["edits"], "label": way["said"][0]}
    taken = client.post(f"{base}/cut/sateen/ways", json=given).json()
    assert client.get(f"{base}/cut/sateen?seconds=1").json()["to_buy_mm"] == 0
    assert taken["undoes"] == way["said"][0]
    client.post(f"{base}/undo", json={"revision": taken["revision"]})
    assert client.get(f"{base}/cut/sateen?seconds=1").json()["to_buy_mm"] > 0


def test_a_scrap_is_read_from_the_marks_on_its_photo(client):
    marks = {
        "scale": [[100, 100], [310, 100], [310, 397], [100, 397]],
        "known_mm": "21",
        "known_high_mm": "29.7",
        "outline": [[400, 400], [700, 400], [680, 250], [420, 240]],
        "grain": [[400, 500], [700, 500]],
    }
    read = client.post("/api/scrap", json=marks).json()
    assert (read["long_mm"], read["wide_mm"]) == (pytest.approx(300), pytest.approx(160))
    shelf = put(client, {"sort": "cloth", "name": "sateen", "label": "sateen", "outline": read["outline"]})
    assert shelf["pieces"][0]["measure"] == "piece"
    assert faults(client.post("/api/scrap", json={**marks, "scale": []}))["at"] == "scale"
    assert faults(client.post("/api/scrap", json={**marks, "known_mm": "much"}))["at"] == "known_mm"
    crossed = {**marks, "outline": [[400, 400], [700, 250], [700, 400], [400, 250]]}
    assert "crosses itself" in faults(client.post("/api/scrap", json=crossed))["sentence"]


def test_a_list_is_shopped_ordered_and_arrives(client, build):
    found = client.get("/api/shopping").json()
    lines = {one["article"]["name"]: one for one in found["shopping"]["lines"]}
    holes = lines["grommet_5"]
    assert holes["amount"] == build["plan"]["holes"]["count"] + build["plan"]["holes"]["spares"]
    chosen = holes["choices"][holes["chosen"]]
    line = {
        "article": holes["article"],
        "packs": chosen["packs"],
        "pack": chosen["offer"]["pack"],
        "price": chosen["offer"]["price"],
        "builds": holes["builds"],
    }
    ordered = client.post("/api/orders", json={"shop": chosen["offer"]["shop"], "lines": [line]}).json()
    (order,) = ordered["orders"]
    assert order["order"]["state"] == "placed"
    assert datetime.date.fromisoformat(order["order"]["due_on"]) > datetime.date.today()
    names = [one["article"]["name"] for one in client.get("/api/shopping").json()["shopping"]["lines"]]
    assert "grommet_5" not in names
    came = client.post("/api/orders/o1/arrive", json={"where": "tin"}).json()
    piece = came["pieces"][0]
    assert piece["piece"]["count"] == chosen["packs"] * chosen["offer"]["pack"]
    assert piece["reserved"][0]["build"] == build["id"]
    assert faults(client.post("/api/orders/o1/cancel", json={}))["sentence"].startswith("This order is not")
    nobody = client.post("/api/orders", json={"shop": "Nobody", "lines": [line]})
    assert "does not deal in this" in faults(nobody)["sentence"]
    text = client.get("/api/shopping.csv").content.decode("utf-8-sig")
    assert "coutil" in text


def test_a_list_goes_to_a_shop_of_hers_and_comes_back(client, build):
    saved = client.get("/api/shopping.csv").content
    rows = client.post("/api/shopping/csv", content=saved, headers=FILE).json()["rows"]
    good = [row for row in rows if not row["fault"]]
    assert {build["id"]} == {one for row in good for one in row["line"]["builds"]}
    today = datetime.date.today()
    line = next(row["line"] for row in good if row["line"]["article"]["name"] == "grommet_5")
    past = {"shop": "Market", "lines": [line], "due_on": str(today - datetime.timedelta(days=2))}
    assert faults(client.post("/api/orders", json=past))["at"] == "due_on"
    assert faults(client.post("/api/orders", json={**past, "due_on": str(today), "shop": " "}))["at"] == "shop"
    (order,) = client.post("/api/orders", json={**past, "due_on": str(today)}).json()["orders"]
    assert (order["here"], order["order"]["own"], order["comes"]) == (True, True, [line["packs"] * line["pack"]])
    names = [one["article"]["name"] for one in client.get("/api/shopping").json()["shopping"]["lines"]]
    assert "grommet_5" not in names
    came = client.post("/api/orders/o1/arrive", json={"where": "tin"}).json()["pieces"][0]
    assert (came["piece"]["lot"], came["reserved"][0]["build"]) == ("Market, o1", build["id"])
    assert client.post("/api/shopping/csv", content=b"hat\nred\n", headers=FILE).status_code == 422


def test_a_csv_is_read_before_anything_is_put_there(client):
    put(client, COUTIL)
    saved = client.get("/api/shelf.csv").content
    rows = client.post("/api/shelf/csv", content=saved, headers=FILE).json()["rows"]
    assert (rows[0]["fault"], rows[0]["piece"]["length_mm"]) == (None, 2200)
    mixed = b"what;count\ngrommet_5;20\nmoonbeams;3\n"
    good, bad = client.post("/api/shelf/csv", content=mixed, headers=FILE).json()["rows"]
    assert good["piece"]["count"] == 20
    assert "moonbeams" in bad["fault"]
    assert len(client.get("/api/shelf").json()["pieces"]) == 1
    assert client.post("/api/shelf/csv", content=b"", headers=FILE).status_code == 422


def test_a_file_of_before_brings_its_shelf_along_and_a_copy_is_not_cut(client, build):
    document = client.get(f"/api/builds/{build['id']}/build.fuseau.json").json()
    old = {**document, "version": 4}
    old["bones"] = {**document["bones"], "shelf": [{"kind": "flat_12", "length_mm": 480, "count": 2}]}
    line = client.post("/api/builds/import", content=json.dumps(old).encode(), headers=FILE).json()
    (piece,) = client.get("/api/shelf").json()["pieces"]
    assert (piece["piece"]["length_mm"], piece["reserved"][0]["build"]) == (480, line["id"])
    put(client, COUTIL)
    cut = cut_as_seen(client, build, "coutil").json()
    assert cut["build"]["cut"]["done"]
    copy = client.post(f"/api/builds/{build['id']}/duplicate").json()
    assert client.get(f"/api/builds/{copy['id']}").json()["build"]["cut"]["done"] == {}


def test_a_cloth_of_hers_is_in_the_catalogue_of_the_workshop_and_other_builds_can_choose_it(client, build):
    given = {"revision": build["revision"], "ply": 2, "cloth": {"label": "Moth damask", "thickness_mm": "0.9 mm"}}
    assert client.put(f"/api/builds/{build['id']}/catalogue/cloths", json=given).status_code == 200
    assert "moth_damask" in [one["name"] for one in client.get("/api/catalogue").json()["cloths"]]
    assert "moth_damask" in [one["name"] for one in client.get("/api/articles").json()["articles"]]
    other = client.post("/api/builds", json={"name": "Other"}).json()
    body = {"revision": other["revision"], "changes": [{"at": "layers.plies.2.cloth", "value": "moth_damask"}]}
    chosen = client.post(f"/api/builds/{other['id']}/changes", json=body).json()
    assert math.isclose(chosen["build"]["catalogue"]["cloths"]["moth_damask"]["thickness_mm"], 0.9)


def test_what_is_counted_is_told_by_stage(client, build):
    needs = client.get(f"/api/builds/{build['id']}/needs").json()["needs"]
    stages = {one["article"]["sort"]: one["stage"] for one in needs}
    assert (stages["grommets"], stages["lace"], stages["busk"]) == ("back", "back", "front")
    empty = client.post("/api/builds", json={"name": "Empty"}).json()
    assert client.get(f"/api/builds/{empty['id']}/needs").json() == {"needs": []}


def test_what_is_laid_otherwise_than_it_was_seen_is_not_cut(client, build):
    put(client, COUTIL)
    base = f"/api/builds/{build['id']}"
    seen = client.get(f"{base}/cut/coutil?seconds=0").json()
    other = {"s1": {**seen["uses"]["s1"], "amount": seen["uses"]["s1"]["amount"] + 40}}
    body = {"revision": build["revision"], "uses": other, "to_buy_mm": seen["to_buy_mm"]}
    refused = client.post(f"{base}/cut/coutil/done", json=body)
    assert "look at it once more" in faults(refused)["sentence"]
    assert client.get("/api/shelf").json()["pieces"][0]["amount"] == 2200


def test_the_binding_beside_the_pieces_is_kept_and_cut_with_them(client, build):
    put(client, {**COUTIL, "name": "sateen", "label": "sateen"})
    base = f"/api/builds/{build['id']}"
    laid = client.get(f"{base}/cut/sateen?seconds=1").json()
    reach = max(x for one in laid["laying"]["sheets"][0]["placed"] for x, _ in one["outline"])
    use = laid["uses"]["s1"]
    assert use["beside_mm"] > 300
    assert use["amount"] == pytest.approx(reach + 5 + use["beside_mm"], abs=0.1)
    wants = client.get("/api/shopping").json()["shopping"]["wants"]
    taken = next(one["taken"] for one in wants if one["need"]["article"]["name"] == "sateen")
    assert taken[0]["amount"] == pytest.approx(
        use["amount"], abs=60
    )  # the list lays it in one order, or as it was seen
    cut_as_seen(client, build, "sateen")
    assert client.get("/api/shelf").json()["pieces"][0]["amount"] == pytest.approx(2200 - use["amount"], abs=0.2)


def test_a_cloth_changed_in_one_build_is_not_put_back_by_another_that_has_the_older_one(client, build):
    def keep(one, cloth):
        given = {"revision": one["revision"], "ply": 2, "cloth": cloth}
        return client.put(f"/api/builds/{one['id']}/catalogue/cloths", json=given).json()

    def thickness():
        known = {one["name"]: one for one in client.get("/api/catalogue").json()["cloths"]}
        return known["moth_damask"]["thickness_mm"]

    first = keep(build, {"label": "Moth damask", "thickness_mm": "0.9 mm"})
    line = client.post("/api/builds", json={"name": "Other"}).json()
    body = {"revision": line["revision"], "changes": [{"at": "layers.plies.2.cloth", "value": "moth_damask"}]}
    other = client.post(f"/api/builds/{line['id']}/changes", json=body).json()
    keep(first, {"name": "moth_damask", "label": "Moth damask", "thickness_mm": "1.1 mm"})
    keep({**other, "id": line["id"]}, {"label": "Owl felt", "thickness_mm": "2 mm"})
    assert thickness() == 1.1


def test_a_shipped_cloth_that_the_workshop_knows_otherwise_is_taken_so_when_it_is_chosen(client, build):
    given = {
        "revision": build["revision"],
        "ply": 2,
        "cloth": {"name": "sateen", "label": "cotton sateen", "price_per_m": 15},
    }
    client.put(f"/api/builds/{build['id']}/catalogue/cloths", json=given)
    line = client.post("/api/builds", json={"name": "Other"}).json()
    body = {"revision": line["revision"], "changes": [{"at": "layers.plies.2.cloth", "value": "sateen"}]}
    other = client.post(f"/api/builds/{line['id']}/changes", json=body).json()
    assert other["build"]["catalogue"]["cloths"]["sateen"]["price_per_m"] == 15
