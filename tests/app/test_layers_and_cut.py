"""Plies, cloths of her own, pieces and markers over HTTP."""

import pytest

from tests.conftest import MEASURES


@pytest.fixture
def build(client):
    line = client.post("/api/builds", json={"name": "Tidewarden"}).json()
    changes = [{"at": f"wearer.{name}", "value": value} for name, value in MEASURES.items()]
    given = {"revision": line["revision"], "changes": changes}
    return client.post(f"/api/builds/{line['id']}/changes", json=given).json()


def roles(opened):
    return [ply["role"] for ply in opened["build"]["layers"]["plies"]]


def test_plies_go_in_where_they_lie_move_and_come_out(client, build):
    base = f"/api/builds/{build['id']}/plies"

    def step(path="", **given):
        nonlocal build
        answer = client.post(base + path, json={"revision": build["revision"], **given})
        if answer.status_code == 200:
            build = answer.json()
        return answer

    step(role="overlay")
    step(role="interlining")
    assert roles(build) == ["lining", "strength", "interlining", "fashion", "overlay"]
    step("/move", at=2, outward=True)
    assert roles(build) == ["lining", "strength", "fashion", "interlining", "overlay"]
    refused = step("/move", at=0, outward=True)
    assert refused.status_code == 422
    assert "does not lie outside" in refused.json()["faults"][0]["sentence"]
    step("/take", at=3)
    assert roles(build) == ["lining", "strength", "fashion", "overlay"]
    stays = step("/take", at=1)
    assert stays.status_code == 422
    assert "The strength ply stays" in stays.json()["faults"][0]["sentence"]
    assert step("/take", at=7).status_code == 422
    assert step(role="strength").status_code == 422


def test_a_cloth_of_her_own_takes_what_she_wrote_and_the_rest_from_what_it_replaces(client, build):
    given = {"revision": build["revision"], "ply": 2, "cloth": {"label": "Moth damask", "thickness_mm": "0.9 mm"}}
    kept = client.put(f"/api/builds/{build['id']}/catalogue/cloths", json=given).json()
    assert kept["build"]["layers"]["plies"][2]["cloth"] == "moth_damask"
    assert kept["plan"]["layers"]["plies"][2]["thickness_mm"] == 0.9
    assert kept["build"]["catalogue"]["cloths"]["moth_damask"]["mass_g_m2"] == 150
    wrong = {**given, "revision": kept["revision"], "cloth": {"label": "Nothing", "thickness_mm": 0}}
    refused = client.put(f"/api/builds/{build['id']}/catalogue/cloths", json=wrong)
    assert refused.status_code == 422
    assert refused.json()["faults"][0]["at"].endswith("thickness_mm")
    nowhere = {**given, "revision": kept["revision"], "ply": 7}
    assert client.put(f"/api/builds/{build['id']}/catalogue/cloths", json=nowhere).status_code == 422


def test_pieces_are_told_by_cloth_and_laid_on_it(client, build):
    base = f"/api/builds/{build['id']}"
    cut = client.get(f"{base}/cut").json()
    assert [one["cloth"] for one in cut["cloths"]] == ["lawn", "coutil", "sateen"]
    assert cut["cloths"][1]["pieces"][0]["note"] == "cut 2, mirrored"
    laid = client.get(f"{base}/cut/coutil?seconds=1").json()
    marker = laid["laying"]["marker"]
    assert len(marker["placed"]) == sum(piece["count"] for piece in cut["cloths"][1]["pieces"])
    assert laid["to_buy_mm"] == marker["length_mm"] >= marker["bound_mm"]
    # asked again it is the same, at once; and no worse with more time
    assert client.get(f"{base}/cut/coutil?seconds=1").json() == laid
    assert client.get(f"{base}/cut/coutil?seconds=2").json()["to_buy_mm"] <= laid["to_buy_mm"]
    refused = client.get(f"{base}/cut/velvet?seconds=1")
    assert refused.status_code == 422
    assert "Nothing is cut from this cloth" in refused.json()["sentence"] + str(refused.json()["faults"])
    assert client.get(f"{base}/cut/coutil?seconds=900").status_code == 422


def test_before_there_are_measures_nothing_is_cut(client):
    line = client.post("/api/builds", json={"name": "Empty"}).json()
    assert client.get(f"/api/builds/{line['id']}/cut").json() == {"cloths": [], "strips": []}
    assert client.get(f"/api/builds/{line['id']}/cut/coutil").status_code == 422


def test_a_cloth_narrower_than_a_panel_says_so_of_its_pieces(client, build):
    base = f"/api/builds/{build['id']}"
    given = {"revision": build["revision"], "ply": 2, "cloth": {"label": "Ribbon", "width_mm": "7 cm"}}
    assert client.put(f"{base}/catalogue/cloths", json=given).status_code == 200
    marker = client.get(f"{base}/cut/ribbon?seconds=1").json()["laying"]["marker"]
    assert marker["too_wide"]
    assert not {placed["key"] for placed in marker["placed"]} & set(marker["too_wide"])
