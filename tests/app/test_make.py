"""The making over the API: steps, the clock, the log, the work of the workshop, and what each refuses."""

import datetime

import pytest
import vobject

from tests.app.conftest import edit

TODAY = datetime.date.today()


@pytest.fixture
def build(client, sheet):
    return edit(client, sheet, "brief.needed_on", (TODAY + datetime.timedelta(days=30)).isoformat()).json()


def post(client, build, path, how="post", **body):
    return getattr(client, how)(f"/api/builds/{build['id']}/make/{path}", json={"revision": build["revision"], **body})


def made(client, build):
    return client.get(f"/api/builds/{build['id']}/make").json()["make"]


def fault(answer):
    assert answer.status_code == 422, answer.text
    return answer.json()["faults"][0]


def test_what_is_next_is_done_and_undone_in_the_build(client, build):
    first = made(client, build)
    assert first["now"] == "mock-up 1"
    assert first["steps"][0]["step"]["name"] == "Make mock-up 1: cut, sew, bones, lacing strips"
    after = post(client, build, "do", step="mock-up 1").json()
    assert (made(client, after)["now"], after["undoes"]) == (
        "fitting 1",
        "Done: Make mock-up 1: cut, sew, bones, lacing strips",
    )
    knot = next(one for one in after["thread"]["knots"] if one["stage"] == "make")
    assert knot["note"].startswith("1 of ")
    said = fault(post(client, after, "do", step="waist tape"))
    assert said["at"] == "step"
    assert said["sentence"] == "Not yet: “Join 1·2, and press it”, and 11 more, have to be done before."
    all_of_it = post(client, after, "do", step="waist tape", also=True).json()
    assert made(client, all_of_it)["lost"][0] == "front"
    assert made(client, all_of_it)["now"] == "front"
    shut = fault(post(client, all_of_it, "do", step="front"))
    assert shut["sentence"] == "“Join 1·2, and press it” has shut the way to it."
    mended = post(client, all_of_it, "do", step="front", anyhow=True).json()
    assert made(client, mended)["lost"] == []
    undone = post(client, mended, "undo", step="join 1-2").json()
    assert "waist tape" in made(client, undone)["order"]
    assert fault(post(client, undone, "do", step="no such step"))["at"] == "step"


def test_a_step_is_left_out_moved_and_put_in(client, build):
    assert fault(post(client, build, "leave-out", step="lace"))["sentence"].startswith("This can’t be left out")
    build = post(client, build, "leave-out", step="try on", because="she is away").json()
    assert made(client, build)["left_out"] == ["try on"]
    build = post(client, build, "take-in", step="try on").json()
    order = made(client, build)["order"]
    at, to = order.index("cut bones flat-6"), order.index("mark")
    wished = [*order[:to], "cut bones flat-6", *order[to:at], *order[at + 1 :]]
    build = post(client, build, "order", "put", order=wished).json()
    assert made(client, build)["order"] == wished
    own = {"name": "paint the crest", "minutes": "45", "after": ["join 1-2"]}
    build = post(client, build, "own", "put", own=own).json()
    assert "own 1" in made(client, build)["order"]
    wrong = fault(post(client, build, "own", "put", own={"name": "", "minutes": "soon"}))
    assert wrong["at"].endswith("own.name")
    build = post(client, build, "own/take", step="own 1").json()
    assert build["build"]["make"]["own"] == []


def test_the_clock_runs_on_one_step_of_the_whole_workshop(client, build, sheet):
    build = post(client, build, "start", step="mock-up 1").json()
    assert made(client, build)["running"]["step"] == "mock-up 1"
    assert "already" in fault(post(client, build, "start", step="mark"))["sentence"]
    other = client.post("/api/builds", json={"name": "Another", "kind": "cincher"}).json()
    other = client.get(f"/api/builds/{other['id']}").json()
    there = fault(post(client, other, "start", step="mark"))["sentence"]
    assert there.startswith("The clock runs on “Make mock-up 1")
    assert build["build"]["brief"]["name"] in there
    assert fault(post(client, build, "stop", minutes="a while"))["at"] == "minutes"
    stopped = post(client, build, "stop", minutes="200", note="slow", mishap="a needle broke", done=True).json()
    (entry,) = stopped["build"]["make"]["log"]
    assert (entry["step"], entry["minutes"], entry["mishap"]) == ("mock-up 1", 200, "a needle broke")
    assert made(client, stopped)["now"] == "fitting 1"
    assert "No clock is running" in fault(post(client, stopped, "stop"))["sentence"]
    again = post(client, post(client, stopped, "start", step="fitting 1").json(), "stop", drop=True).json()
    assert len(again["build"]["make"]["log"]) == 1
    client.post(f"/api/builds/{build['id']}/undo", json={"revision": again["revision"]})


def test_minutes_are_logged_after_and_what_can_not_be_is_told_at_its_field(client, build):
    build = post(client, build, "log", entry={"step": "mock-up 1", "minutes": "1,5"}).json()
    assert build["build"]["make"]["log"][0] == {
        "step": "mock-up 1", "on": TODAY.isoformat(), "minutes": 1.5, "note": "", "mishap": "",
        "works": [["mock-up", 1.0]], "photos": [],
    }  # fmt: skip
    assert fault(post(client, build, "log", entry={"step": "mark", "minutes": 2400}))["at"].endswith("minutes")
    ahead = (TODAY + datetime.timedelta(days=3)).isoformat()
    assert fault(post(client, build, "log", entry={"step": "mark", "minutes": 5, "on": ahead}))["at"] == "on"
    assert post(client, build, "log/take", at=0).json()["build"]["make"]["log"] == []


def test_the_work_of_the_workshop_is_planned_by_her_hours_and_leaves_as_a_calendar(client, build):
    work = client.get("/api/work").json()
    (here,) = work["builds"]
    slots = work["schedule"]["slots"]
    assert len(slots) == here["steps_left"]
    (end,) = work["schedule"]["ends"]
    assert end["spare_days"] > 0
    assert work["odds"][0]["probability"] > 0.5
    house = client.get("/api/house").json()
    some = {**house, "hours": {"by_weekday": [0, 0, 0, 0, 0, 60, 0], "off": []}}
    assert client.patch("/api/house", json=some).status_code == 200
    slower = client.get("/api/work").json()
    assert slower["schedule"]["ends"][0]["spare_days"] < 0
    assert slower["odds"][0]["probability"] == 0
    calendar = vobject.readOne(client.get("/api/work.ics").content.decode())
    events = {event.summary.value: event for event in calendar.vevent_list}
    needed = next(event for title, event in events.items() if title.endswith("is needed"))
    assert needed.dtstart.value == TODAY + datetime.timedelta(days=30)
    assert len(events) >= len(slots)
    lace = next(event for title, event in events.items() if title.endswith(": Lace it"))
    assert (
        lace.dtstart.value.isoformat()
        == next(one for one in slower["schedule"]["slots"] if one["key"] == "lace")["starts_on"]
    )
    none = {**house, "hours": {"by_weekday": [0] * 7, "off": []}}
    client.patch("/api/house", json=none)
    said = client.get("/api/work")
    assert said.status_code == 422
    assert "no hours" in said.json()["sentence"]
    assert client.patch("/api/house", json={**house, "hours": {"by_weekday": [2000] * 7}}).status_code == 422
    assert made(client, build)["now"] == "mock-up 1"  # without hours one still sees what is next


def test_what_would_save_time_is_told_with_its_odds_and_taken(client, build):
    soon = (TODAY + datetime.timedelta(days=12)).isoformat()
    build = edit(client, build, "brief.needed_on", soon).json()
    gains = client.get(f"/api/builds/{build['id']}/make/gains").json()["gains"]
    titles = [gain["title"] for gain in gains]
    assert "Bind both edges by machine" in titles
    shares = [round(gain["probability"], 2) for gain in gains]
    assert shares == sorted(shares, reverse=True)
    gain = next(one for one in gains if one["title"] == "Bind both edges by machine")
    before = made(client, build)["minutes_left"]
    body = {name: gain[name] for name in ("title", "changes", "leave_out")}
    taken = post(client, build, "gains", **body).json()
    assert taken["build"]["make"]["binding"] == "by machine"
    assert made(client, taken)["minutes_left"] == pytest.approx(before - gain["minutes"], abs=1)
    basting = next(one for one in gains if one["leave_out"])
    body = {name: basting[name] for name in ("title", "changes", "leave_out")}
    taken = post(client, taken, "gains", **body).json()
    assert made(client, taken)["left_out"] == basting["leave_out"]
    undated = edit(client, taken, "brief.needed_on", None).json()
    assert client.get(f"/api/builds/{undated['id']}/make/gains").json()["gains"] == []


def test_one_like_this_begins_with_its_lessons_and_nothing_made(client, build):
    build = post(client, build, "do", step="mock-up 1").json()
    build = post(client, build, "log", entry={"step": "mock-up 1", "minutes": 200}).json()
    build = edit(client, build, "record.would_change", ["one panel more"]).json()
    worn = [{"on": TODAY.isoformat(), "gap_mm": "4.8", "gave_way": "a bone tip"}]
    build = edit(client, build, "record.wears", worn).json()
    build = edit(client, build, "record.finished_on", TODAY.isoformat()).json()
    assert build["build"]["record"]["wears"][0]["gap_mm"] == 48
    assert made(client, build)["order"] == []
    assert client.get("/api/work").json()["schedule"]["slots"] == []
    assert client.get(f"/api/builds/{build['id']}/card.pdf").content.startswith(b"%PDF")
    facts = {
        one["name"]: one["value"] for one in client.get(f"/api/builds/{build['id']}/record").json()["card"]["facts"]
    }
    assert facts["at it"] == "3.3 h"
    line = client.post(f"/api/builds/{build['id']}/duplicate?again=true").json()
    new = client.get(f"/api/builds/{line['id']}").json()
    said = [one for one in new["plan"]["findings"] if one["code"] == "lesson"]
    assert [one["sentence"] for one in said] == [
        "From last time: one panel more",
        "From last time: a bone tip gave way",
    ]
    assert new["build"]["brief"]["needed_on"] is None
    assert (new["build"]["make"]["done"], new["build"]["make"]["log"], new["build"]["record"]["wears"]) == ([], [], [])
    seen_to = said[0]["mend"]["changes"]
    body = {"revision": new["revision"], "changes": seen_to}
    after = client.post(f"/api/builds/{line['id']}/changes", json=body).json()
    assert after["build"]["brief"]["lessons"] == ["a bone tip gave way"]
    copy = client.post(f"/api/builds/{build['id']}/duplicate").json()
    assert client.get(f"/api/builds/{copy['id']}").json()["build"]["make"]["log"] == []


def test_what_is_ticked_off_as_cut_is_cut_on_every_page(client, build):
    for key in ("cut coutil", "cut bones flat-12"):
        build = post(client, build, "do", step=key, also=True).json()
    assert build["ticked_bones"] == ["flat_12"]
    cut = {one["cloth"]: one for one in client.get(f"/api/builds/{build['id']}/cut").json()["cloths"]}
    assert (cut["coutil"]["is_cut"], cut["coutil"]["ticked"]) == (True, True)
    assert (cut["lawn"]["is_cut"], cut["lawn"]["ticked"]) == (False, False)
    note = next(one["note"] for one in build["thread"]["knots"] if one["stage"] == "cut")
    assert note == "1 of 3 cut"
    wanted = {one["article"]["name"] for one in client.get("/api/shopping").json()["shopping"]["lines"]}
    assert not {"coutil", "flat_12"} & wanted
    assert {"lawn", "spiral_6"} <= wanted
    build = edit(client, build, "record.finished_on", TODAY.isoformat()).json()
    cut = client.get(f"/api/builds/{build['id']}/cut").json()["cloths"]
    assert [one["is_cut"] for one in cut] == [True] * len(cut)
    assert client.get("/api/shopping").json()["shopping"]["lines"] == []


def test_a_fitting_is_agreed_for_a_day_and_stands_there_in_every_plan(client, build):
    def on(number):
        return (TODAY + datetime.timedelta(days=number)).isoformat()

    build = post(client, build, "do", step="mock-up 1").json()
    assert fault(post(client, build, "appoint", step="fitting 1", on=on(-1)))["sentence"] == "That day is over."
    assert fault(post(client, build, "appoint", step="mock-up 1", on=on(3)))["at"] == "step"
    assert fault(post(client, build, "appoint", step="nothing", on=on(3)))["at"] == "step"
    build = post(client, build, "appoint", step="fitting 1", on=on(3), note="at hers, at seven").json()
    seen = next(one for one in made(client, build)["steps"] if one["step"]["key"] == "fitting 1")
    assert (seen["appointment"]["on"], seen["appointment"]["note"]) == (on(3), "at hers, at seven")
    work = client.get("/api/work").json()
    slot = next(one for one in work["schedule"]["slots"] if one["key"] == "fitting 1")
    assert (slot["starts_on"], slot["ends_on"]) == (on(3), on(3))
    assert work["builds"][0]["missed"] == []
    events = vobject.readOne(client.get("/api/work.ics").text).vevent_list
    (event,) = (one for one in events if one.transp.value == "OPAQUE")
    assert event.dtstart.value.isoformat() == on(3)
    assert event.description.value.startswith("agreed; at hers, at seven")
    late = post(client, build, "appoint", step="try on", on=on(1)).json()
    (missed,) = client.get("/api/work").json()["builds"][0]["missed"]
    assert missed.startswith("Try it on with its bones, laced by strips was agreed for")
    free = post(client, late, "appoint", step="try on").json()
    assert [one["step"] for one in free["build"]["make"]["appointments"]] == ["fitting 1"]
    copy = client.post(f"/api/builds/{build['id']}/duplicate").json()
    assert client.get(f"/api/builds/{copy['id']}").json()["build"]["make"]["appointments"] == []
