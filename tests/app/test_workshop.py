"""The API: what the interface and a script both use."""

import concurrent.futures
import json
import re
from pathlib import Path
from urllib.parse import unquote

import httpx
import pytest

from fuseau.app.file_names import named_file
from fuseau.app.font_faces import FAMILY
from fuseau.app.guard import LARGEST_BODY
from fuseau.app.server import make_app
from fuseau.app.settings import Settings
from fuseau.craft.base.findings import Change
from fuseau.demo.workshop import STORIES, fill
from fuseau.files.document import read_document, write_document
from fuseau.files.fonts import FOLDER
from fuseau.store.opening import open_database
from fuseau.store.workshop import Workshop
from fuseau.wording.history import label_of
from tests.app.conftest import FILE, HOST, edit, fitting
from tests.serving import copied


def test_the_whole_path_over_http(client, sheet):
    assert sheet["plan"]["gap_shape"]["shape"] == "parallel"
    cut = client.post(f"/api/builds/{sheet['id']}/versions", json={"revision": sheet["revision"], "what": "cut"}).json()
    tried = fitting(client, cut).json()
    assert tried["build"]["fittings"][0]["readings"][0] == {"z_mm": 90, "gap_mm": 32, "spread_mm": None}
    assert tried["plan"]["proposal"]["marks"]
    body = {"revision": tried["revision"], "what": "accept"}
    second = client.post(f"/api/builds/{sheet['id']}/versions", json=body).json()
    assert [version["number"] for version in second["build"]["versions"]] == [1, 2]
    assert second["plan"]["proposal"] is None
    undone = client.post(f"/api/builds/{sheet['id']}/undo", json={"revision": second["revision"]}).json()
    assert len(undone["build"]["versions"]) == 1
    assert undone["redoes"] == "Version 2 from the proposed change"
    again = client.post(f"/api/builds/{sheet['id']}/redo", json={"revision": undone["revision"]}).json()
    assert again["build"] == second["build"]
    history = client.get(f"/api/builds/{sheet['id']}/history").json()
    assert [entry["label"] for entry in history][:3] == [
        "Version 2 from the proposed change",
        "Fitting 1 logged",
        "Version 1 cut",
    ]


def test_versions_are_compared_and_gone_back_to(client, sheet):
    base = f"/api/builds/{sheet['id']}"
    cut = client.post(f"{base}/versions", json={"revision": sheet["revision"], "what": "cut"}).json()
    tried = fitting(client, cut).json()
    second = client.post(f"{base}/versions", json={"revision": tried["revision"], "what": "accept"}).json()
    found = client.get(f"{base}/compare?before=1&after=2").json()
    assert found["comparison"]["same_cut"]
    assert {mark["kind"] for mark in found["comparison"]["seams"]} == {"take in", "let out"}
    assert len(found["before_panels"]) == 6
    assert client.get(f"{base}/compare?before=1&after=7").status_code == 422
    back = client.post(f"{base}/versions", json={"revision": second["revision"], "what": "back", "to": 1}).json()
    assert back["build"]["versions"][2]["pattern"] == back["build"]["versions"][0]["pattern"]
    nowhere = client.post(f"{base}/versions", json={"revision": back["revision"], "what": "back", "to": 3})
    assert nowhere.status_code == 422


def test_bad_values_are_told_at_their_field_and_nothing_is_kept(client, sheet):
    answer = edit(client, sheet, "wearer.waist.readings_mm", ["7 cm"])
    assert answer.status_code == 422
    trouble = answer.json()
    assert trouble["faults"][0]["at"] == "wearer.waist.readings_mm.0"
    assert "40.0 to 200.0 cm" in trouble["sentence"]
    assert client.get(f"/api/builds/{sheet['id']}").json()["revision"] == sheet["revision"]


def test_what_makes_the_garment_unmakeable_is_refused(client, sheet):
    answer = edit(client, sheet, "bones.clearance_by_channel.2·3", "118 mm")
    assert answer.status_code == 422
    assert answer.json()["faults"][0]["at"] == "bones.clearance_by_channel.2·3"
    assert client.get(f"/api/builds/{sheet['id']}").json()["build"]["bones"]["clearance_by_channel"] == {}


def test_bare_numbers_take_the_workshops_unit(client, sheet):
    client.patch("/api/house", json={"unit": "in", "theme": "light", "paper": "letter"})
    changed = edit(client, sheet, "wearer.waist.readings_mm", ["27 1/2"]).json()
    assert changed["build"]["wearer"]["waist"]["readings_mm"] == [pytest.approx(698.5)]


def test_a_stale_edit_is_refused_and_says_what_changed(client, sheet):
    first = edit(client, sheet, "target.gap_mm", "4 cm")
    assert first.status_code == 200
    stale = edit(client, sheet, "target.gap_mm", "6 cm")
    assert stale.status_code == 409
    assert stale.json()["changed"] == ["Gap wanted 4 cm"]
    assert client.get(f"/api/builds/{sheet['id']}").json()["build"]["target"]["gap_mm"] == 40


def test_of_two_edits_at_once_one_is_kept_and_one_refused(client, sheet):
    with concurrent.futures.ThreadPoolExecutor(4) as pool:
        answers = list(pool.map(lambda gap: edit(client, sheet, "target.gap_mm", f"{gap} mm"), range(30, 38)))
    codes = sorted(answer.status_code for answer in answers)
    assert codes == [200] + [409] * 7


def test_an_edit_that_changes_nothing_makes_no_revision(client, sheet):
    assert edit(client, sheet, "target.gap_mm", "50 mm").json()["revision"] == sheet["revision"]


def test_a_trial_shows_what_would_follow_and_keeps_nothing(client, sheet):
    body = {"changes": [{"at": "target.reduction_percent", "value": 4}]}
    tried = client.post(f"/api/builds/{sheet['id']}/trial", json=body).json()
    assert tried["aim"]["reduction_share"] == pytest.approx(0.04, abs=1e-3)
    assert client.get(f"/api/builds/{sheet['id']}").json()["revision"] == sheet["revision"]


def test_builds_are_copied_put_away_deleted_and_brought_back(client, sheet):
    copy = client.post(f"/api/builds/{sheet['id']}/duplicate").json()
    assert copy["name"] == "Tidewarden, copy"
    assert len(client.get("/api/builds").json()) == 2
    client.post(f"/api/builds/{copy['id']}/archive?archived=true")
    assert [line["id"] for line in client.get("/api/builds?archived=true").json()] == [copy["id"]]
    assert client.delete(f"/api/builds/{sheet['id']}").status_code == 204
    assert client.get(f"/api/builds/{sheet['id']}").status_code == 404
    assert client.post(f"/api/builds/{sheet['id']}/undelete").status_code == 200
    assert client.get(f"/api/builds/{sheet['id']}").json()["build"] == sheet["build"]


@pytest.mark.parametrize(
    ("name", "plain", "own"),
    [
        ("Zoë's corset", "Zoe-s-corset", "Zoë-s-corset"),
        ("王小明 the Tidewarden שרה", "the-Tidewarden", "王小明-the-Tidewarden-שרה"),
        ("श्रीमती", "build", "श्रीमती"),
        ("A/B: c?", "A-B-c", "A-B-c"),
        ("🙂", "build", "build"),
        ("王" * 120, "build", "王" * 60),
    ],
)
def test_a_file_is_named_in_her_own_script_and_so_that_every_system_takes_it(name, plain, own):
    said = named_file(b"", "application/pdf", name, "-v3.pdf").headers["content-disposition"]
    assert f'filename="{plain}-v3.pdf"' in said
    star = said.partition("filename*=UTF-8''")[2]
    assert unquote(star or f"{plain}-v3.pdf") == f"{own}-v3.pdf"
    assert len(unquote(star).encode()) < 255


def test_the_fonts_of_the_prints_are_served_to_pages_that_need_them(client):
    for font in FOLDER.glob("*.ttf"):
        answer = client.get(f"/fonts/{font.name}")
        assert answer.content == font.read_bytes()
        assert answer.headers["content-type"] == "font/ttf"
        assert "immutable" in answer.headers["cache-control"]
    sheet = client.get("/fonts/names.css")
    assert sheet.headers["content-type"].startswith("text/css")
    assert set(re.findall(r"/fonts/(.*?)\.ttf", sheet.text)) == {font.stem for font in FOLDER.glob("*.ttf")}
    assert f"'{FAMILY}'" in Path("ui/src/house.css").read_text()
    assert client.get("/fonts/Nothing.ttf").headers["content-type"].startswith("text/html")


def test_files_leave_and_come_back(client, sheet):
    base = f"/api/builds/{sheet['id']}"
    pdf = client.get(f"{base}/pattern.pdf?paper=letter")
    assert pdf.content.startswith(b"%PDF")
    assert "Tidewarden-pattern-draft-letter.pdf" in pdf.headers["content-disposition"]
    assert client.get(f"{base}/list.pdf").content.startswith(b"%PDF")
    assert client.get(f"{base}/pattern.svg").text.startswith("<svg")
    content = client.get(f"{base}/build.fuseau.json").content
    line = client.post("/api/builds/import", content=content, headers=FILE)
    assert line.status_code == 201
    taken = client.get(f"/api/builds/{line.json()['id']}").json()
    assert taken["build"] == sheet["build"]
    assert write_document(read_document(content)) == content


def test_nothing_is_printed_before_the_measures(client):
    line = client.post("/api/builds", json={"name": "Empty"}).json()
    answer = client.get(f"/api/builds/{line['id']}/pattern.pdf")
    assert answer.status_code == 422
    assert "measures come first" in answer.json()["sentence"]


@pytest.mark.parametrize(("content", "says"), [(b"", "empty"), (b"nonsense", "damaged"), (b"{}", "not a Fuseau build")])
def test_a_file_that_is_no_build_is_refused(client, content, says):
    answer = client.post("/api/builds/import", content=content, headers=FILE)
    assert answer.status_code == 422
    assert says in answer.json()["sentence"]
    assert client.get("/api/builds").json() == []


def test_a_fifty_megabyte_file_is_refused_before_it_is_read(client):
    answer = client.post("/api/builds/import", content=b" " * 50_000_000, headers=FILE)
    assert answer.status_code == 413
    assert "50.0 MB" in answer.json()["sentence"]


def test_a_large_body_without_a_length_is_cut_off(client):
    def drip():
        for _ in range(LARGEST_BODY // 500_000 + 2):
            yield b" " * 500_000

    answer = client.post("/api/builds/import", content=drip(), headers=FILE)
    assert answer.status_code in (400, 413)
    assert answer.json()["sentence"]


def test_only_this_machine_and_its_own_pages_may_ask(client):
    assert client.get("/api/house", headers={"host": "evil.example"}).status_code == 421
    assert client.get("/api/house", headers={"host": "127.0.0.1.evil.example"}).status_code == 421
    new = {"name": "x"}
    assert client.post("/api/builds", json=new, headers={"origin": "http://evil.example"}).status_code == 403
    assert client.post("/api/builds", json=new, headers={"origin": "null"}).status_code == 403
    assert client.post("/api/builds", json=new, headers={"origin": HOST}).status_code == 201
    assert client.get("/api/house", headers={"host": "localhost:8321"}).status_code == 200


def test_pages_forbid_inline_script_and_outside_requests(client):
    for path in ("/", "/api/house", "/docs/index.html"):
        policy = client.get(path).headers["content-security-policy"]
        assert "script-src 'self';" in policy
        assert "default-src 'self'" in policy
        assert "http" not in policy
    page = client.get("/").text
    assert "<script>" not in page
    assert "//" not in page.replace("</", "").replace("/>", "").replace("http://www.w3.org", "")


def test_places_outside_the_pages_are_not_served(client):
    outside = "/../pyproject.toml", "/%2e%2e/%2e%2e/pyproject.toml", "/..%2f..%2fcli.py", "/fonts/..%2f..%2fcard.py"
    for path in (*outside, "/fonts/__init__.py"):
        assert "fuseau" not in client.get(path).text.lower() or "<div id=" in client.get(path).text
    assert client.get("/api/nothing").status_code == 404


def test_the_catalogue_gives_every_house_number_its_reason(client):
    found = client.get("/api/catalogue").json()
    assert {bone["name"] for bone in found["bones"]} >= {"flat_12", "spiral_6", "synthetic_7", "cable_tie_8"}
    assert all(number["reason"] and number["low"] <= number["usual"] <= number["high"] for number in found["numbers"])


def test_a_house_number_out_of_range_is_refused_at_its_field(client, sheet):
    answer = edit(client, sheet, "practice.bone_step_mm", 900)
    assert answer.status_code == 422
    assert answer.json()["faults"][0]["at"] == "practice.bone_step_mm"


def test_the_interfaces_types_come_from_the_present_api(tmp_path):
    kept = json.loads(Path("ui/src/api/openapi.json").read_text())
    described = make_app(Settings(data=tmp_path, warm=False), describing=True).openapi()
    assert described == kept, "run `make api`"


def test_labels_are_in_the_makers_words():
    assert label_of([Change(at="target.gap_mm", value="4 cm")]) == "Gap wanted 4 cm"
    assert label_of([Change(at="wearer.underbust.height_back_mm", value="9")]) == "Underbust height at the back 9"
    assert label_of([Change(at="draft.hem.cf_mm", value=None)]) == "Hem at CF as suggested"
    assert label_of([Change(at="target.job", value="none"), Change(at="x.y", value=1)]) == "Job none and 1 more"


# --- the demo workshop


def test_the_demo_workshop_fills_once_with_invented_builds(demo_database, tmp_path):
    database = copied(demo_database, tmp_path / "demo")
    workshop = Workshop(open_database(database))
    names = [opened.build.brief.name for opened in (*workshop.builds(), *workshop.builds(archived=True))]
    assert len(names) == len(STORIES)
    fill(database)
    assert len(workshop.builds()) == len(STORIES) - 2
    regent = next(opened for opened in workshop.builds() if opened.build.brief.name == "Lamplighter Regent")
    assert (len(regent.build.versions), len(regent.build.fittings)) == (2, 2)
    labels = [entry.label for entry in workshop.history(regent.id)]
    assert labels[0] == "Fitting 2 logged"


def test_the_server_does_not_ask_the_network(client, monkeypatch):
    def refuse(*_args, **_kwargs):
        raise AssertionError("an outside request")

    monkeypatch.setattr(httpx.HTTPTransport, "handle_request", refuse)
    assert client.get("/api/builds").status_code == 200
