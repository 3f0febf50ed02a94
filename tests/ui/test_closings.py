"""Ways to close, rows as they are wished, and halves that differ, as a maker uses them."""

from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.ui.test_hardware import choose

BODICE = "Beekeeper General"
REGENT = "Lamplighter Regent"


def test_a_garment_with_a_zip_behind_alone_has_no_lace_and_is_fitted_by_pins(demo_hand):
    line = demo_hand.stage(BODICE, "back")
    demo_hand.press("not laced")
    demo_hand.see("CB is a seam")
    assert "Modesty panel" not in demo_hand.text()
    assert not demo_hand.all("circle.hole")
    demo_hand.stage(BODICE, "front")
    choose(demo_hand, "It opens by", "separating zip")
    choose(demo_hand, "On the line of", "CB")
    demo_hand.see("In by the separating zip behind")
    demo_hand.write("ends above the hem", "20 mm")
    demo_hand.wait(lambda: demo_hand.sheet(line)["plan"]["opening"]["bottom_z_mm"] is not None)
    demo_hand.write("begins below the top", "400 mm")
    demo_hand.see("can't be right for where it begins")
    demo_hand.write("begins below the top", "")
    demo_hand.stage(BODICE, "back")
    demo_hand.see("A separating zip of")
    demo_hand.press("Print")
    demo_hand.see("Front, both sides, 1:1")
    assert "Punching strip" not in demo_hand.text()
    demo_hand.browser.find_element(By.TAG_NAME, "body").send_keys(Keys.ESCAPE)

    demo_hand.stage(BODICE, "mockups")
    demo_hand.see("pinned shut behind")
    demo_hand.press("Make version 2")
    demo_hand.see("Version 2 is ready to try on")
    demo_hand.press("Log a fitting")
    demo_hand.see("Pins behind")
    assert "From a photo" not in demo_hand.text()
    for i in range(1, 6):
        demo_hand.write(f"Pins {i}", "-26")
    demo_hand.press("Log fitting 1")
    demo_hand.see("Pinned 26 mm inside its seam at the waist")
    there = demo_hand.sheet(line)
    assert [one["gap_mm"] for one in there["build"]["fittings"][0]["readings"]] == [-26] * 5
    assert there["plan"]["proposal"]["sewn_change_mm"]["waist"] < -3
    demo_hand.press("Correct it")
    assert demo_hand.value("Pins 1") == "−26"


def test_a_laced_gap_below_zero_is_refused_at_its_entry(demo_hand):
    demo_hand.stage(REGENT, "mockups")
    demo_hand.press("Log a fitting")
    demo_hand.write("Gap 1", "-4")
    for i in (2, 3, 4, 5):
        demo_hand.write(f"Gap {i}", "40")
    demo_hand.press("Log fitting 3")
    demo_hand.see("leave no gap below zero")
    assert demo_hand.field("Gap 1").get_attribute("aria-invalid") == "true"


def test_rows_are_as_many_as_she_says_and_too_many_are_refused_at_the_field(demo_hand):
    line = demo_hand.stage(REGENT, "back")
    demo_hand.write("rows on each side", "9")
    demo_hand.see("9 holes on each side")
    demo_hand.write("first hole below the top", "12")
    demo_hand.wait(lambda: demo_hand.sheet(line)["build"]["back"]["top_margin_mm"] == 12)
    demo_hand.write("rows on each side", "50")
    demo_hand.see("no cloth between their flanges")
    assert demo_hand.field("rows on each side").get_attribute("aria-invalid") == "true"
    demo_hand.see("9 holes on each side")
    demo_hand.write("as wide as", "90 cm")
    demo_hand.see("can't be right for the modesty panel's width")
    demo_hand.write("as wide as", "12")
    demo_hand.see("12.0 cm ×")


def test_an_ease_at_the_bust_is_worn_so(demo_hand):
    line = demo_hand.stage(BODICE, "pattern")
    demo_hand.write("ease at the bust", "3")
    demo_hand.wait(lambda: demo_hand.sheet(line)["build"]["target"]["ease_at"] == {"bust": 30})
    demo_hand.write("ease at the bust", "lots")
    demo_hand.wait(lambda: demo_hand.field("ease at the bust").get_attribute("aria-invalid") == "true")


def test_a_side_that_opens_on_the_left_is_seen_on_the_left_alone(demo_hand):
    demo_hand.stage(REGENT, "front")
    choose(demo_hand, "It opens by", "hidden zip")
    choose(demo_hand, "On the line of", "the side seam")
    demo_hand.see("Shortened by")
    demo_hand.stage(REGENT, "bones")
    demo_hand.see("the halves differ")
    assert not demo_hand.all("[data-channel='3·4 CF']")
    demo_hand.click("input[name='half'][value='left']")
    demo_hand.find("[data-channel='3·4 CF']").send_keys(Keys.ENTER)
    demo_hand.see("Channel 3·4 CF")
    demo_hand.click("input[name='half'][value='both']")
    demo_hand.wait(lambda: len(demo_hand.all("[data-half]")) == 2)
    demo_hand.find("[aria-label='Bones of the left half']")
    demo_hand.find("[aria-label='Bones of the right half']")


def test_the_back_is_trimmed_and_it_stays_so(demo_hand):
    line = demo_hand.stage(REGENT, "pattern")
    before = demo_hand.sheet(line)["plan"]["levels"]
    demo_hand.browser.execute_script(
        "document.querySelector('[data-edge=CB]').dispatchEvent(new MouseEvent('click', { bubbles: true }))"
    )
    demo_hand.see("The edge stays straight")
    demo_hand.write("At CB, on each half", "80")
    demo_hand.press("Trim it")
    demo_hand.see("can be trimmed off at the most")
    demo_hand.write("At CB, on each half", "15")
    demo_hand.press("Trim it")
    demo_hand.wait(lambda: (demo_hand.sheet(line)["build"]["versions"][-1]["changes"] or [""])[-1].startswith("15 mm"))
    demo_hand.press("Done")
    demo_hand.see("15 mm trimmed off at CB, on each half")
    demo_hand.see("It stays as you made it")
    after = demo_hand.sheet(line)["plan"]["levels"]
    waist = [next(one["closed_mm"] for one in levels if one["name"] == "waist") for levels in (before, after)]
    assert round(waist[0] - waist[1]) == 30


def test_a_gusset_is_slashed_into_a_panel_and_taken_out(demo_hand):
    line = demo_hand.stage(REGENT, "pattern")
    demo_hand.browser.execute_script(
        "document.querySelector('[data-panel=\"4\"]').dispatchEvent(new MouseEvent('click', { bubbles: true }))"
    )
    demo_hand.see("Gusset, slashed in")
    demo_hand.write("Gusset width", "4")
    demo_hand.write("Gusset depth", "28")
    demo_hand.press("Slash it in")
    demo_hand.see("deeper than the garment")
    demo_hand.write("Gusset depth", "7")
    demo_hand.press("Slash it in")
    demo_hand.see("4.0 cm wide, 7.0 cm deep, from the hem")
    demo_hand.find("path.slash")
    assert demo_hand.sheet(line)["build"]["versions"][-1]["pattern"]["gussets"][0]["panel"] == 4
    demo_hand.click("[aria-label='Take the gusset out of panel 4']")
    demo_hand.gone("4.0 cm wide, 7.0 cm deep, from the hem")
