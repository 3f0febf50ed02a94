"""Pages under bad input, other units, other hands, the keyboard; and what every page owes its reader."""

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.ui.driving import STAGES, STILL, Hand, Server


def test_in_inches_small_changes_are_told_and_fit_their_labels(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "mockups")
    demo_hand.press("in")
    demo_hand.see("in per panel edge")
    lines = demo_hand.sheet(line)["plan"]["proposal"]["lines"]
    assert lines
    amounts = [cell.text for cell in demo_hand.all("[aria-label='Change by seam'] td.amount")]
    assert len(amounts) == 2 * len(lines)
    assert all("/" in text or text.isdigit() for text in amounts)
    shares = [one[side] for one in lines for side in ("cf_side_mm", "cb_side_mm")]
    assert sum(text != "0" for text in amounts) == sum(share != 0 for share in shares) > 0
    for badge in demo_hand.all(".badge"):
        box, text = (badge.find_element(By.CSS_SELECTOR, css).rect for css in ("rect", "text"))
        arrows = badge.find_element(By.CSS_SELECTOR, "path").rect
        assert text["x"] >= arrows["x"] + arrows["width"]
        assert text["x"] + text["width"] <= box["x"] + box["width"]


def test_a_long_mend_is_not_cut_by_its_button(demo_hand):
    demo_hand.stage("Brass Heron", "bones")
    demo_hand.press("Flat steel 12 × 1.0 mm at the lacing edge?")
    button = demo_hand.find(".findings .effect + .v-btn")
    words = button.find_element(By.CSS_SELECTOR, ".v-btn__content").rect
    assert words["height"] <= button.rect["height"]
    assert words["width"] <= button.rect["width"]


def _overtaken(demo_hand, line):
    elsewhere = {"revision": line["revision"], "changes": [{"at": "target.gap_mm", "value": "42 mm"}]}
    assert demo_hand.api.post(f"/api/builds/{line['id']}/changes", json=elsewhere).status_code == 200
    demo_hand.press("firm")
    demo_hand.see("changed elsewhere meanwhile")
    demo_hand.see("Gap wanted 42 mm")
    demo_hand.wait(lambda: demo_hand.value("gap wanted") == "42")


def test_builds_are_deleted_with_undo_put_away_and_taken_in(demo_hand, tmp_path):
    demo_hand.go()
    demo_hand.press("More for Brass Heron")
    demo_hand.press("Delete")
    demo_hand.see("“Brass Heron” is deleted.")
    demo_hand.press("Undo")
    demo_hand.wait(lambda: any("Brass Heron" in one.text for one in demo_hand.all(".line .open")))
    demo_hand.press("More for Brass Heron")
    demo_hand.press("Put away")
    demo_hand.see("Put away: 3")
    chooser = demo_hand.browser.find_element(By.CSS_SELECTOR, "input[type=file]")
    broken = tmp_path / "broken.fuseau.json"
    broken.write_text('{"format": "fuseau.build", "version": 9}')
    chooser.send_keys(str(broken))
    demo_hand.see("newer Fuseau")
    line = demo_hand.build("Lamplighter Regent")
    huge = tmp_path / "huge.fuseau.json"
    with huge.open("wb") as file:
        file.truncate(50_000_000)
    demo_hand.browser.find_element(By.CSS_SELECTOR, "input[type=file]").send_keys(str(huge))
    demo_hand.see("has 50.0 MB")
    whole = tmp_path / "whole.fuseau.json"
    whole.write_bytes(demo_hand.api.get(f"/api/builds/{line['id']}/build.fuseau.json").content)
    demo_hand.browser.find_element(By.CSS_SELECTOR, "input[type=file]").send_keys(str(whole))
    demo_hand.see("“Lamplighter Regent” is in the workshop.")
    assert sum("Lamplighter Regent" in one.text for one in demo_hand.all(".line .open")) == 2


def test_the_keyboard_alone_goes_through_the_stages(demo_hand):
    demo_hand.stage("Lamplighter Regent", "pattern")
    demo_hand.see("What the longline corset does")
    page = demo_hand.browser.find_element(By.TAG_NAME, "body")
    page.send_keys("]")
    demo_hand.see("What it says")
    page.send_keys("]")
    demo_hand.see("both halves the same")
    page.send_keys("u")
    demo_hand.see("cut the bone, in")
    page.send_keys("?")
    demo_hand.see("measure between two points")
    page.send_keys(Keys.ESCAPE)
    demo_hand.gone("measure between two points")
    page.send_keys("w")
    demo_hand.see("On the table")


def test_a_length_is_measured_between_two_points(demo_hand):
    demo_hand.stage("Lamplighter Regent", "pattern")
    paper = demo_hand.find(".paper")
    demo_hand.press("Measure between two points")
    from selenium.webdriver import ActionChains

    for dx in (-50, 60):
        ActionChains(demo_hand.browser).move_to_element_with_offset(paper, dx, 0).click().perform()
    text = demo_hand.find(".tape text").text
    scale = demo_hand.browser.execute_script(
        "const d = document.querySelector('#dots'); return Number(d.getAttribute('width')) / 100"
    )
    assert float(text.split()[0]) == pytest.approx(110 / scale / 10, abs=0.11)


@pytest.mark.long
def test_one_command_serves_the_demo_workshop(browser, tmp_path):
    server = Server(tmp_path, "demo")
    server.start()
    try:
        hand = Hand(browser, server.url)
        hand.go()
        hand.see("Lamplighter Regent")
        hand.see("19 days left")
    finally:
        server.stop()


def test_a_clients_sheet_goes_out_and_her_answer_comes_back(demo_hand, downloads, tmp_path):
    line = demo_hand.stage("Ash cartographer", "wearer")
    demo_hand.press("A client far away")
    demo_hand.press("Sheet to send")
    sheet = downloads / "Ash-cartographer-measures.html"
    demo_hand.wait(lambda: sheet.exists() and sheet.stat().st_size > 0)
    # she opens it from her disk, with no server and no network
    demo_hand.browser.get(sheet.as_uri())
    demo_hand.write("Neck base, first reading", "7")
    demo_hand.see("Usually 22 cm to 90 cm")
    demo_hand.write("Neck base, first reading", "37.5")
    demo_hand.write("Neck base, second reading", "40")
    demo_hand.see("These two differ: please measure a third time")
    demo_hand.write("Neck base, second reading", "14 3/4 in")
    demo_hand.gone("These two differ")
    demo_hand.write("Upper neck, first reading", "33,8")
    demo_hand.write("Collarbone, first reading", "47")
    assert demo_hand.find("figure .on").get_attribute("data-level") == "collarbone"
    # what she typed is there again, on a phone too, and its units are printed
    demo_hand.browser.refresh()
    demo_hand.see("What you had typed is here again.")
    assert demo_hand.value("Upper neck, first reading") == "33,8"
    demo_hand.browser.execute_cdp_cmd("Emulation.setEmulatedMedia", {"media": "print"})
    assert {unit.text for unit in demo_hand.all("td span")} == {"cm"}
    demo_hand.browser.execute_cdp_cmd("Emulation.setEmulatedMedia", {"media": "", "features": STILL})
    for width in (390, 1280):
        metrics = {"width": width, "height": 800, "deviceScaleFactor": 1, "mobile": False}
        demo_hand.browser.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)
        assert demo_hand.browser.execute_script("return document.documentElement.scrollWidth") <= width
    demo_hand.press("Save my answer")
    answer = downloads / "measures.fuseau-letter.json"
    demo_hand.wait(lambda: answer.exists() and answer.stat().st_size > 0)
    demo_hand.go(f"/build/{line['id']}/wearer")
    demo_hand.see("Measures")
    demo_hand.browser.find_element(By.CSS_SELECTOR, 'input[aria-label="Client\'s answer"]').send_keys(str(answer))
    demo_hand.see("Her measures are in")
    demo_hand.wait(lambda: demo_hand.value("Neck base girth, reading 2") == "37.5")
    demo_hand.see("37.5 cm ± 1.4")
    broken = tmp_path / "broken.json"
    broken.write_text("{}")
    demo_hand.browser.find_element(By.CSS_SELECTOR, 'input[aria-label="Client\'s answer"]').send_keys(str(broken))
    demo_hand.see("not a client's answer")


def test_the_api_page_is_shipped_with_the_app(demo_hand):
    demo_hand.go("/docs/index.html")
    demo_hand.see("From measures to a corset that fits")


@pytest.mark.long
def test_no_page_has_axe_violations_in_either_theme_or_asks_outside(demo_hand):
    line = demo_hand.build("Lamplighter Regent")
    demo_hand.browser.get_log("browser")
    asked: set[str] = set()
    for page in (
        "/",
        "/shelf",
        "/today",
        "/cards",
        "/settings",
        "/words",
        "/how",
        "/about",
        "/first",
        *(f"/build/{line['id']}/{one}" for one in STAGES),
    ):
        demo_hand.walk(page)
        demo_hand.find(".line, h1")
        demo_hand.wait(lambda: not demo_hand.all("[aria-busy=true]"))
        if page.endswith("/bones"):
            demo_hand.find(".schools")  # they come a moment later
        assert demo_hand.violations() == [], page
        if page.endswith(
            ("/", "/shelf", "/pattern", "/mockups", "/layers", "/trims", "/make", "/cards", "/words", "/first")
        ):  # their parts stand on the others too
            demo_hand.press("Dark theme")
            demo_hand.find(".v-theme--dark")
            assert demo_hand.violations("color-contrast", "link-in-text-block") == [], page  # no other knows of colours
            demo_hand.press("Light theme")
            demo_hand.find(".v-theme--light")
        asked |= set(demo_hand.browser.execute_script("return performance.getEntries().map((one) => one.name)"))
    asked = {url for url in asked if ":" in url}
    assert asked
    assert all(url.startswith((demo_hand.url, "data:", "blob:")) for url in asked)
    assert [one for one in demo_hand.browser.get_log("browser") if one["level"] == "SEVERE"] == []


def test_anything_is_found_by_its_words_with_the_keyboard_alone(demo_hand):
    hand = demo_hand
    hand.go()
    hand.see("Lamplighter Regent")
    page = hand.browser.find_element(By.TAG_NAME, "body")
    page.send_keys("/")
    field = hand.find("[aria-label='Find by words']")
    field.send_keys("ottilie corset")
    hand.see_in("#found", "Lamplighter Regent")
    assert hand.violations() == []
    field.send_keys(Keys.CONTROL, "a", Keys.NULL, "modesty")
    hand.see_in("#found", "A stiffened panel under the gap.")
    field.send_keys(Keys.CONTROL, "a", Keys.NULL, "nobody has this")
    hand.see("Nothing has these words.")
    field.send_keys(Keys.CONTROL, "a", Keys.NULL, "regent")
    hand.see_in("#found [aria-selected=true]", "Lamplighter Regent")
    field.send_keys(Keys.ENTER)
    hand.see("What follows")
    assert "/brief" in hand.browser.current_url
    page = hand.browser.find_element(By.TAG_NAME, "body")
    page.send_keys("/")
    field = hand.find("[aria-label='Find by words']")
    field.send_keys("bones")  # a stage of the build that is open
    hand.see_in("#found [aria-selected=true]", "of this build")
    field.send_keys(Keys.ENTER)
    hand.see("both halves the same")
    page = hand.browser.find_element(By.TAG_NAME, "body")
    page.send_keys("/")
    hand.find("[aria-label='Find by words']").send_keys("how it", Keys.ENTER)
    hand.see("damped Gauss–Newton")  # the page of the formulas
    assert hand.violations() == []
