"""Pages under bad input, other units, other hands, the keyboard; and what every page owes its reader."""

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from fuseau.craft.base.lengths import format_length
from tests.conftest import MEASURES
from tests.ui.driving import STAGES, STILL, Hand, Server


def test_a_girth_that_cannot_be_stays_as_written_with_its_sentence(demo_hand):
    line = demo_hand.stage("Underclock mender", "wearer")
    label = "High hip girth, reading 1"
    for written, says in (
        ("seventy", "is not a length"),
        ("70 cm 2 in", "two units"),
        ("7", "40.0 to 200.0 cm"),
        ("-70", "below zero"),
    ):
        demo_hand.write(label, written)
        demo_hand.see(says)
        box = demo_hand.field(label)
        assert box.get_property("value") == written
        assert box.get_attribute("aria-invalid") == "true"
        box.send_keys(Keys.ESCAPE)
        demo_hand.gone(says)
        assert demo_hand.value(label) == "80.5"
    assert demo_hand.build("Underclock mender")["revision"] == line["revision"]


def test_cautions_and_limits_stand_at_their_fields(demo_hand):
    demo_hand.stage("Lamplighter Regent", "pattern")
    demo_hand.write("by, of the waist", "21")
    demo_hand.see("Stop and loosen at pain, numbness or breathlessness")
    demo_hand.press("Plan 20 % instead?")
    demo_hand.see("waist reduced by")
    demo_hand.press("Leave it")
    demo_hand.write("by, of the waist", "8")
    demo_hand.gone("Stop and loosen")
    demo_hand.write("gap wanted", "250")
    demo_hand.see("can't be right")
    demo_hand.field("gap wanted").send_keys(Keys.ESCAPE)
    demo_hand.write("CF", "-3 cm")
    demo_hand.see("is below zero")


def test_a_hip_smaller_than_the_ribs_is_something_to_check(demo_hand):
    demo_hand.stage("Lamplighter Regent", "wearer")
    demo_hand.write("Hip girth, reading 1", "72")
    demo_hand.see("Check the hip: 72.0 cm is unusual")


def test_a_height_out_of_order_is_told_where_it_is(demo_hand):
    demo_hand.stage("Lamplighter Regent", "wearer")
    demo_hand.write("Ribs, height at the side", "12")
    demo_hand.see("has to lie further from the waist")


def test_a_mend_shows_its_effect_before_it_is_made(demo_hand):
    line = demo_hand.stage("Brass Heron", "bones")
    demo_hand.see("With synthetic 7 × 1.5 mm at the lacing edge the gap bows")
    demo_hand.press("Flat steel 12 × 1.0 mm at the lacing edge?")
    demo_hand.see("bow")
    before = demo_hand.sheet(line)
    assert before["build"]["bones"]["lacing_edge"] == "synthetic_7"
    demo_hand.press("Flat steel 12 × 1.0 mm at the lacing edge")
    demo_hand.gone("the gap bows")


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


def test_the_lacing_is_walked_hole_by_hole_and_weak_holes_are_told(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "back")
    plan = demo_hand.sheet(line)["plan"]
    demo_hand.see(plan["walk"][0]["sentence"])
    walk = demo_hand.find("[aria-label='Lacing, hole by hole']")
    demo_hand.press("Next")
    demo_hand.see(plan["walk"][1]["sentence"])
    walk.send_keys(Keys.END)
    demo_hand.see(plan["walk"][-1]["sentence"])
    assert len(demo_hand.all(".walk path.lace")) == len(plan["walk"]) - 1
    walk.send_keys(Keys.ARROW_LEFT)
    demo_hand.see(plan["walk"][-2]["sentence"])
    demo_hand.see(f"{plan['holes']['rows'][0]['carries_n']:.1f} N")
    demo_hand.press("Leave it out")
    demo_hand.see("Without a waist tape the cloth itself carries the pull")
    demo_hand.press("A waist tape")
    demo_hand.see("for each half, from")


def test_every_length_is_shown_as_the_core_shows_it(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "wearer")
    for unit in ("in", "cm"):
        demo_hand.press(unit)
        plan = demo_hand.sheet(line)["plan"]
        for level in plan["body"]["levels"]:
            shown = format_length(level["girth_mm"], unit)
            demo_hand.see(shown)
        for level in plan["body"]["levels"]:
            if level["name"] != "waist":
                label = f"{level['name'].replace('_', ' ').capitalize()}, height at the side"
                assert demo_hand.value(label) == format_length(abs(level["side_mm"]), unit, bare=True)
    demo_hand.go(f"/build/{line['id']}/bones")
    demo_hand.press("in")
    demo_hand.see("cut the bone, in")
    plan = demo_hand.sheet(line)["plan"]
    for bone in plan["bones"]:
        css = f"[data-bone='{bone['channel']}']"
        wanted = format_length(bone["length_mm"], "in", hardware=True, bare=True)
        demo_hand.wait(lambda css=css, wanted=wanted: demo_hand.find(css).text == wanted)


def test_a_change_made_elsewhere_is_not_written_over(demo_hand):
    with demo_hand.without_news():
        line = demo_hand.stage("Lamplighter Regent", "pattern")
        demo_hand.see("What the longline corset does")
        demo_hand.wait(lambda: demo_hand.value("gap wanted"))
        _overtaken(demo_hand, line)


def _overtaken(demo_hand, line):
    elsewhere = {"revision": line["revision"], "changes": [{"at": "target.gap_mm", "value": "42 mm"}]}
    assert demo_hand.api.post(f"/api/builds/{line['id']}/changes", json=elsewhere).status_code == 200
    demo_hand.press("firm")
    demo_hand.see("changed elsewhere meanwhile")
    demo_hand.see("Gap wanted 42 mm")
    demo_hand.wait(lambda: demo_hand.value("gap wanted") == "42")


def test_no_busk_fits_a_short_front_and_says_what_works(demo_hand):
    made = demo_hand.api.post("/api/builds", json={"name": "Tidewarden"}).json()
    changes = [{"at": f"wearer.{name}", "value": level} for name, level in MEASURES.items()]
    body = {"revision": made["revision"], "changes": changes}
    assert demo_hand.api.post(f"/api/builds/{made['id']}/changes", json=body).status_code == 200
    line = demo_hand.stage("Tidewarden", "pattern")
    demo_hand.write("CF", "6")
    for box in demo_hand.all("fieldset"):
        if box.text.startswith("Hem"):
            field = box.find_elements(By.TAG_NAME, "input")[0]
            field.send_keys(Keys.CONTROL, "a")
            field.send_keys("9", Keys.TAB)
    demo_hand.wait(lambda: demo_hand.find("fieldset:nth-of-type(4) input").get_property("value") == "9.0")
    demo_hand.go(f"/build/{line['id']}/front")
    demo_hand.see("No busk")
    demo_hand.see("the shortest sold is 165 mm")


def test_a_fitting_without_three_heights_keeps_what_was_written(demo_hand):
    demo_hand.stage("Brass Heron", "mockups")
    demo_hand.press("Log a fitting")
    demo_hand.write("Gap 1", "48")
    demo_hand.write("Gap 3", "-5")
    demo_hand.press("Log fitting 1")
    demo_hand.see("below zero")
    demo_hand.write("Gap 3", "51")
    demo_hand.press("Log fitting 1")
    demo_hand.see("three heights at least")
    assert demo_hand.value("Gap 1") == "48"
    demo_hand.write("Gap 5", "50")
    demo_hand.press("Log fitting 1")
    demo_hand.see("Fitting 1, version 1")


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


def test_versions_are_looked_at_named_and_gone_back_to(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "mockups")
    demo_hand.click("ol li:first-child button")
    demo_hand.see("From version 1 to 2")
    assert len(demo_hand.all("path.behind")) == 6
    assert "High hip" in demo_hand.find("[aria-label='Girths compared']").text
    demo_hand.write("Name it", "first calico")
    demo_hand.wait(lambda: "first calico" in demo_hand.find("ol .picked").text)
    demo_hand.press("Go back to it, as version 3")
    demo_hand.see("Version 3 is ready to try on")
    sheet = demo_hand.sheet(line)
    assert sheet["build"]["versions"][2]["reason"] == "back to version 1"


def test_a_dress_stand_stands_beside_the_wearer(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "wearer")

    def padding() -> float:
        stand = demo_hand.sheet(line)["plan"]["stand"]
        return next(level["change_mm"] for level in stand if level["name"] == "high_hip")

    out = f"pin {format_length(-padding())} out"
    demo_hand.see(out)
    demo_hand.see("The grey stand ends 14.0 cm below the waist")
    for box in demo_hand.all(".stand .field"):
        if box.text.startswith("High hip"):
            field = box.find_element(By.TAG_NAME, "input")
            field.send_keys(Keys.CONTROL, "a")
            field.send_keys("85", Keys.TAB)
    demo_hand.gone(out)
    assert padding() > 5
    demo_hand.see(f"pad by {format_length(padding())}, a layer of")


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


def test_a_taped_pattern_is_typed_in(demo_hand):
    line = demo_hand.stage("Brass Heron", "pattern")
    demo_hand.press("Start from another pattern")
    demo_hand.press("Type in the widths of a pattern you have")
    demo_hand.see("Stitch line to stitch line")
    rows = {
        "Underbust": ("6.8", "7.6", "7.6", "7", "6.6", "5"),
        "Waist": ("6", "6.2", "6", "5.6", "5.6", "4.8"),
        "High hip": ("7.6", "8.6", "8.4", "8", "7.4", "5.8"),
    }
    for level, widths in rows.items():
        for i, width in enumerate(widths):
            demo_hand.write(f"{level}, panel {i + 1}", width)
    demo_hand.write("Waist, panel 2", "6 cm 2 in")
    demo_hand.press("Make it version 2")
    demo_hand.see("Waist, panel 2: “6 cm 2 in” has two units")
    demo_hand.write("Waist, panel 2", "6,2")
    demo_hand.press("Make it version 2")
    demo_hand.see("Version 2, widths typed in")
    sheet = demo_hand.sheet(line)
    waist = next(level for level in sheet["plan"]["levels"] if level["name"] == "waist")
    assert waist["closed_mm"] == pytest.approx(2 * 342, abs=0.3)


def test_a_build_that_is_not_there_says_so(demo_hand):
    demo_hand.go("/build/nothing/pattern")
    demo_hand.see("This build can't be opened")
    demo_hand.press("To the workshop")
    demo_hand.see("On the table")


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
