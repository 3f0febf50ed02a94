"""The garment on her body over the API: surfaces, another version, the drawing, her outline."""

import xml.etree.ElementTree as ET

import pytest


def test_it_is_shown_with_its_levels_and_drawn_from_all_sides(client, sheet):
    seen = client.get(f"/api/builds/{sheet['id']}/body").json()
    assert {patch["name"] for patch in seen["patches"]} >= {"her", "panel 1"}
    assert [one["level"] for one in seen["levels"]][2] == "waist"
    drawn = client.get(f"/api/builds/{sheet['id']}/body.svg?turn=0&turn=90")
    assert drawn.headers["content-type"].startswith("image/svg+xml")
    assert "on-the-body" in drawn.headers["content-disposition"]
    assert ET.fromstring(drawn.content).tag.endswith("svg")
    outline = client.get(f"/api/builds/{sheet['id']}/silhouette").json()
    assert len(outline["worn"]) == len(outline["bare"]) or outline["worn"]


@pytest.mark.parametrize("asked", ["body?version=9", "body?version=proposed", "body.svg?turn=999", "body.svg?turn=no"])
def test_what_is_not_there_is_refused_in_a_sentence(client, sheet, asked):
    refused = client.get(f"/api/builds/{sheet['id']}/{asked}")
    assert refused.status_code == 422
    assert refused.json()["sentence"]


def test_of_somebody_who_is_not_measured_it_says_so(client):
    build = client.post("/api/builds", json={"name": "Nobody yet"}).json()
    seen = client.get(f"/api/builds/{build['id']}/body").json()
    assert seen["patches"] == []
    assert seen["said"] == ["Measure her first: her girths make her figure."]
    assert client.get(f"/api/builds/{build['id']}/silhouette").json() is None
    assert client.get(f"/api/builds/{build['id']}/body.svg").status_code == 422
