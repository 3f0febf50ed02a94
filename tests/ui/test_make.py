"""The making as a maker uses it: a day of work, a step out of order and its way back, a day in danger and saved."""

import datetime

import pytest


def kept(hand, name):
    return hand.sheet(hand.build(name))["build"]["make"]


def test_a_days_work_from_start_to_stop(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "make")
    hand.see("Cut the cotton lawn")
    assert hand.violations() == []
    hand.press("Start")
    hand.see("Running since")
    hand.write("a note", "the grain is slanting", leave=False)
    hand.write("minutes, if the clock is wrong", "soon", leave=False)
    hand.press("Stop: it is done")
    hand.see("Write the minutes as a number")
    assert hand.value("a note") == "the grain is slanting"
    hand.write("minutes, if the clock is wrong", "25", leave=False)
    hand.press("Stop: it is done")
    hand.see("25 min: Cut the cotton lawn")
    make = kept(hand, "Lamplighter Regent")
    assert [(one["step"], one["minutes"], one["note"]) for one in make["log"]] == [
        ("cut lawn", 25, "the grain is slanting")
    ]
    assert [one["step"] for one in make["done"]] == ["cut lawn"]
    hand.see("Cut the coutil")
    hand.press("Write minutes down …")
    hand.write("minutes", "2400", leave=False)
    hand.press("Write it down")
    hand.see("goes from 0 to 960")
    hand.write("minutes", "30", leave=False)
    hand.press("Write it down")
    hand.wait(lambda: len(kept(hand, "Lamplighter Regent")["log"]) == 2)
    hand.press("1 done")
    hand.press("Cut the cotton lawn")
    hand.press("It is not done after all")
    hand.wait(lambda: not kept(hand, "Lamplighter Regent")["done"])


def test_a_clock_on_what_is_no_step_any_more_can_still_be_stopped(demo_hand):
    hand = demo_hand
    hand.stage("Ash cartographer", "make")
    hand.press("Start")
    hand.see("Running since")
    hand.stage("Ash cartographer", "record")
    hand.press("It is finished")
    hand.see("Finished on")
    hand.stage("Ash cartographer", "make")
    hand.see("The clock runs on")
    hand.press("Do not count it")
    hand.wait(lambda: kept(hand, "Ash cartographer")["running"] is None)
    hand.gone("The clock runs on")


def test_a_step_out_of_order_is_told_before_and_has_its_way_back(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "make")
    hand.see("steps to go")
    hand.click("[data-row='waist tape'] .name")
    hand.see("Not yet.")
    hand.press("All of that is done, and this")
    hand.see("was shut out")
    hand.press("The ways back")
    hand.see("Open at its place and shut again: Join 1·2")
    assert hand.violations() == []
    hand.press("I got it in all the same")
    hand.gone("was shut out")
    hand.press("Undo: Done: Set in the busk")
    hand.see("was shut out")
    # binding both edges before the bones: told before it is done
    line = hand.build("Lamplighter Regent")
    for key in ("channels 6", "bind top"):
        revision = hand.sheet(line)["revision"]
        body = {"revision": revision, "step": key, "also": True, "anyhow": True}
        assert hand.api.post(f"/api/builds/{line['id']}/make/do", json=body).status_code == 200
    hand.browser.refresh()
    hand.click("[data-row='bind hem'] .name")
    hand.see("This would shut out:")
    assert "into panel 6" in hand.find("[data-shuts-out]").text


def test_steps_are_moved_within_what_is_possible_and_one_of_her_own_is_put_in(demo_hand):
    hand = demo_hand
    hand.stage("Ash cartographer", "make")
    hand.see("steps to go")

    def rows():
        return [row.get_attribute("data-row") for row in hand.all("[data-row]")]

    at = rows().index("cut lawn")
    first, second = rows()[at : at + 2]
    hand.click(f"[data-row='{second}'] [aria-label^='earlier']")
    hand.wait(lambda: rows()[at : at + 2] == [second, first])
    last = rows().index("lace")
    hand.click("[data-row='lace'] [aria-label^='earlier']")
    hand.see("can’t change places with")
    assert rows()[last] == "lace"
    hand.press("The usual order")
    hand.wait(lambda: rows()[at : at + 2] == [first, second])
    hand.press("One more …")
    hand.write("what", "gild the clasps", leave=False)
    hand.press("Put it in")
    hand.see("gild the clasps, 30 min")
    hand.wait(lambda: "own 1" in rows())


@pytest.mark.long
def test_a_day_in_danger_and_what_saves_it(demo_hand):
    hand = demo_hand
    hand.go("/today")
    hand.see("Putting every step on its day")
    hand.wait(lambda: hand.all("[data-day]"))
    hand.see("Make mock-up 2")
    assert hand.violations() == []
    hand.find("[aria-label='Builds by their day']")
    hand.click("[data-build='Underclock mender'] a")
    hand.see("What would save time?")
    before = hand.find(".odds").text
    hand.press("What would save time?")
    hand.see("Planning each of them through")
    hand.press("Take it: Bind both edges by machine")
    hand.wait(lambda: kept(hand, "Underclock mender")["binding"] == "by machine")
    hand.wait(lambda: hand.all(".odds") and hand.find(".odds").text != before)
    assert int(hand.find(".odds").text.split()[0]) > int(before.split()[0])


def test_her_hours_are_written_and_what_is_no_hours_is_told(hand):
    hand.go("/today")
    hand.see("Nothing is to be made.")
    monday = hand.find(".hours input")
    monday.clear()
    monday.send_keys("twenty\t")
    hand.see("Mon: write the hours as a number from 0 to 16.")
    monday.clear()
    monday.send_keys("3,5\t")
    hand.wait(lambda: hand.api.get("/api/house").json()["hours"]["by_weekday"][0] == 210)
    day = datetime.date.today() + datetime.timedelta(days=3)
    hand.write_day("a day off", day)
    hand.press("Add")
    hand.wait(lambda: hand.api.get("/api/house").json()["hours"]["off"] == [str(day)])
    hand.press("take out")
    hand.wait(lambda: hand.api.get("/api/house").json()["hours"]["off"] == [])


def test_the_card_fills_itself_and_takes_her_words_and_its_wears(demo_hand):
    hand = demo_hand
    hand.stage("Tinder archivist", "record")
    hand.see("at it")
    assert hand.violations() == []
    hand.write("one thing", "the busk closes with one hand", leave=False)
    hand.press("Add")
    hand.see("the busk closes with one hand")
    hand.press("It is finished")
    hand.see("Finished on")
    hand.press("It was worn …")
    hand.write("for how many hours", "forty", leave=False)
    hand.press("Keep it")
    hand.see("hours it is worn")
    hand.browser.refresh()
    hand.see("As you typed it")
    assert hand.value("for how many hours") == "forty"
    hand.write("for how many hours", "5", leave=False)
    hand.write("gap behind, cm", "4.8", leave=False)
    hand.write("what gave way", "one stitch at the busk", leave=False)
    hand.press("Keep it")
    hand.see("gave way: one stitch at the busk")
    record = hand.sheet(hand.build("Tinder archivist"))["build"]["record"]
    assert [(one["hours"], one["gap_mm"]) for one in record["wears"]] == [(5, 48)]
    assert hand.violations() == []
    hand.write("one thing to change", "a lower hem", leave=False)
    hand.all("form.one button")[1].click()
    hand.see("a lower hem")
    hand.press("Make one like this, but …")
    hand.see("From last time: a lower hem")
    hand.see("one stitch at the busk gave way")
    assert hand.violations() == []
