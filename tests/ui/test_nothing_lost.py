"""Nothing typed is lost, nothing damaged blocks, and no width freezes it: in the real interface."""

import json
import shutil
import sqlite3
from contextlib import closing

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.craft.fitting.test_photo_gap import drawn, tilted
from tests.ui.driving import Hand, Server
from tests.ui.test_mockups import touch

GAP = "gap wanted"


def half_log(hand):
    """A fitting begun and not logged: two gaps, a note."""
    hand.press("Log a fitting")
    hand.write("Gap 1", "34")
    hand.write("Gap 3", "41")
    hand.find("textarea").send_keys("it dug under the arm")


def is_half_logged(hand):
    hand.wait(lambda: hand.value("Gap 1") == "34")
    assert hand.value("Gap 3") == "41"
    assert hand.find("textarea").get_property("value") == "it dug under the arm"
    hand.see("As you left it at")


def test_a_fitting_half_logged_comes_back_after_a_reload_another_page_and_in_another_tab(demo_hand):
    line = demo_hand.stage("Underclock mender", "mockups")
    half_log(demo_hand)
    demo_hand.browser.refresh()
    is_half_logged(demo_hand)
    demo_hand.press("Back")
    demo_hand.wait(lambda: demo_hand.browser.current_url.endswith("/back"))
    demo_hand.browser.back()
    is_half_logged(demo_hand)

    mine = demo_hand.browser.current_window_handle
    demo_hand.browser.switch_to.new_window("tab")
    demo_hand.go(f"/build/{line['id']}/mockups")
    is_half_logged(demo_hand)
    demo_hand.write("Gap 2", "39")
    demo_hand.browser.close()
    demo_hand.browser.switch_to.window(mine)
    assert demo_hand.value("Gap 1") == "34"

    before = len(demo_hand.sheet(line)["build"]["fittings"])
    demo_hand.write("Gap 5", "36")
    demo_hand.press(f"Log fitting {before + 1}")
    demo_hand.wait(lambda: len(demo_hand.sheet(line)["build"]["fittings"]) == before + 1)
    fitting = demo_hand.sheet(line)["build"]["fittings"][-1]
    assert (fitting["note"], fitting["readings"][0]["gap_mm"]) == ("it dug under the arm", 34)


def test_marks_on_a_photo_come_back_where_they_were(demo_hand, tmp_path):
    photo = tmp_path / "back.png"
    drawn(tilted).save(photo)
    demo_hand.stage("Underclock mender", "mockups")
    demo_hand.press("Log a fitting")
    demo_hand.press("From a photo")
    demo_hand.see("A photo of the back")
    demo_hand.browser.find_element(By.CSS_SELECTOR, "[aria-label='Photo of the back']").send_keys(str(photo))
    svg = demo_hand.find("[aria-label='Photo with its marks']")
    for at in ((300, 400), (700, 420), (500, 600), (450, 500)):
        touch(demo_hand, svg, *at)
    demo_hand.write("Known length", "6,5")
    marks = [one.get_attribute("transform") or one.get_attribute("outerHTML") for one in demo_hand.all("g.mark")]
    assert len(marks) == 4
    demo_hand.browser.refresh()
    demo_hand.wait(lambda: len(demo_hand.all("g.mark")) == 4)
    again = [one.get_attribute("transform") or one.get_attribute("outerHTML") for one in demo_hand.all("g.mark")]
    plain = [one.replace(" now", "") for one in marks]
    assert [one.replace(" now", "") for one in again] == plain
    assert demo_hand.value("Known length") == "6,5"


@pytest.mark.long
def test_what_is_set_while_the_server_is_away_is_marked_kept_and_sent_when_it_is_back(browser, demo_database, tmp_path):
    shutil.copytree(demo_database.parent, tmp_path / "data")
    server = Server(tmp_path / "data")
    server.start()
    try:
        hand = Hand(browser, server.url)
        line = hand.stage("Underclock mender", "pattern")
        server.stop()
        hand.write(GAP, "44")
        hand.see("Not sent yet: it waits")
        hand.see("One change waits here")
        browser.find_element(By.CSS_SELECTOR, "[data-waits='yes']")
        server.start()
        hand.wait(lambda: hand.sheet(line)["build"]["target"]["gap_mm"] == 44)
        hand.gone("One change waits here")
        hand.gone("Not sent yet")
        assert hand.value(GAP) == "44"
    finally:
        server.stop()


def test_news_from_another_page_leaves_what_is_being_typed(demo_hand):
    line = demo_hand.stage("Underclock mender", "pattern")
    demo_hand.wait(lambda: demo_hand.value(GAP))
    demo_hand.write(GAP, "49", leave=False)
    sheet = demo_hand.sheet(line)
    change = {"revision": sheet["revision"], "changes": [{"at": "brief.name", "value": "Overclock mender"}]}
    assert demo_hand.api.post(f"/api/builds/{line['id']}/changes", json=change).status_code == 200
    demo_hand.see("Overclock mender")  # it is shown as it stands now
    assert demo_hand.value(GAP) == "49"
    demo_hand.field(GAP).send_keys(Keys.TAB)
    demo_hand.wait(lambda: demo_hand.sheet(line)["build"]["target"]["gap_mm"] == 49)


# --- damage and backup


def test_a_damaged_build_is_one_line_and_goes_back_to_an_earlier_state(demo_hand, tmp_path):
    with closing(sqlite3.connect(tmp_path / "demo" / "fuseau.db")) as database:
        head = "select head_id from build where name = 'Underclock mender'"
        database.execute(f"update revision set document = '{{' where id = ({head})")
        database.commit()
    demo_hand.go()
    demo_hand.see("This state of the build can't be read")
    demo_hand.see("Lamplighter Regent")
    demo_hand.see("The newest state that can be read")
    demo_hand.press("Another earlier state")
    demo_hand.see("Earlier states of Underclock mender")
    demo_hand.press("Go back to it")
    demo_hand.gone("This state of the build can't be read")
    demo_hand.stage("Underclock mender", "pattern")
    demo_hand.see("gap wanted")


def test_everything_goes_out_in_one_file_and_comes_in_beside_what_is_here(demo_hand, tmp_path):
    file = tmp_path / "all.fuseau-backup"
    file.write_bytes(demo_hand.api.get("/api/backup").content)
    line = demo_hand.build("Underclock mender")
    demo_hand.api.delete(f"/api/builds/{line['id']}")
    demo_hand.go()
    demo_hand.gone("Underclock mender")
    demo_hand.go("/settings")
    demo_hand.see("Bring a backup in")
    demo_hand.browser.find_element(By.CSS_SELECTOR, "[aria-label='Backup file']").send_keys(str(file))
    demo_hand.see("Not here: Underclock mender.")
    demo_hand.press("In place of what is here…")
    demo_hand.see("Put the backup in its place?")
    demo_hand.press("Beside what is here")
    demo_hand.see("1 build came in")
    assert demo_hand.build("Underclock mender")["fittings"] == line["fittings"]
    bad = tmp_path / "bad.fuseau-backup"
    bad.write_text("nothing of ours")
    demo_hand.browser.find_element(By.CSS_SELECTOR, "[aria-label='Backup file']").send_keys(str(bad))
    demo_hand.see("bad.fuseau-backup: This file is no database")


# --- widths


# a small phone upright and a larger one lying, the laptop at 200 %, an old one, a large one
_SIZES = (320, 640, True), (844, 390, True), (640, 400, False), (1024, 700, False), (2560, 700, False)
_ZOOMED = ("Pattern", "Mock-ups", "Make", "/shelf")


def test_no_width_freezes_a_page_or_makes_it_scroll_sideways(demo_hand):
    """Nor is anything too small for a finger, or to be read, where it is touched."""
    browser, two_frames = demo_hand.browser, "requestAnimationFrame(() => requestAnimationFrame(arguments[0]))"
    browser.set_script_timeout(10)
    at = {"width": 1280, "height": 700, "deviceScaleFactor": 1, "mobile": False}
    demo_hand.stage("Underclock mender", "brief")
    browser.get_log("browser")
    try:
        stages = "Brief", "Wearer", "Pattern", "Mock-ups", "Bones", "Front", "Back", "Layers", "Trims", "Cut", "Make"
        places = "/shelf", "/shopping", "/today", "/cards", "/settings", "/words", "/first", "/how", "/about", "/"
        for label in (*stages, "Record", *places):
            browser.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", at | {"width": 1280})
            demo_hand.walk(label) if label.startswith("/") else demo_hand.press(label)
            demo_hand.wait(lambda: not demo_hand.all("main [aria-busy=true]") and demo_hand.all("main h1"))
            for width, height, touched in _SIZES:
                browser.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": touched})
                here = at | {"width": width, "height": height, "mobile": touched}
                browser.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", here)
                browser.execute_async_script(two_frames)
                if touched:
                    found = demo_hand.too_small_for_fingers()
                    assert found == [], f"{label}, {width} px: {found}"
                wide = browser.execute_script("return document.documentElement.scrollWidth")
                assert wide <= width, f"{label}: {wide} px in {width}"
            for zoom in ("0.25", "3", "1") if label in _ZOOMED else ():
                browser.execute_script(f"document.body.style.zoom = '{zoom}'")
                browser.execute_async_script(two_frames)
        errors = [one for one in browser.get_log("browser") if one["level"] == "SEVERE"]
        assert errors == [], json.dumps(errors)
    finally:
        browser.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": False})
        browser.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", at | {"height": 800})
