"""The mock-up loop as she walks it: a fitting touched and written, a gap from a photo, a change edited, accepted."""

import pytest
from selenium.webdriver import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.ui import Select

from tests.craft.fitting.test_photo_gap import CARD, GAPS, drawn, edges_in, tilted


def touch(hand, svg, x, y):
    """A finger on a drawing, at its own millimetres or pixels."""
    at = hand.browser.execute_script(
        "const p = new DOMPoint(arguments[1], arguments[2]).matrixTransform(arguments[0].getScreenCTM());"
        "return [p.x, p.y]",
        svg,
        x,
        y,
    )
    chain = ActionChains(hand.browser)
    chain.w3c_actions.pointer_action.move_to_location(round(at[0]), round(at[1]))
    chain.w3c_actions.pointer_action.click()
    chain.perform()


COLLAR = "Ash cartographer"


def choose(hand, label, value):
    css = f"select[aria-label='{label}']"
    Select(hand.wait(lambda: hand.browser.find_element(By.CSS_SELECTOR, css))).select_by_value(value)


def gaps_shown(hand):
    """Height in cm and gap in mm, as the photo's table has them."""
    rows = hand.all("[aria-label='Gaps on the photo'] tbody tr")
    cells = [[cell.text for cell in row.find_elements(By.TAG_NAME, "td")] for row in rows]
    return {float(z.split(" ")[0].replace("−", "-")): float(gap.split(" ")[0]) for z, gap, _ in cells}


def odds(hand):
    return float(hand.find(".odds i").get_attribute("style").split(":")[1].strip(" %;"))


@pytest.mark.long
def test_a_fitting_is_touched_read_off_a_photo_edited_accepted_and_readiness_answers(demo_hand, photo):
    line = demo_hand.stage("Underclock mender", "mockups")
    before = odds(demo_hand)
    demo_hand.press("Log a fitting")
    # touch her: it digs in front, stands off at the back
    front, _, back = demo_hand.wait(lambda: demo_hand.all(".views svg"))
    touch(demo_hand, front, 40, -60)
    demo_hand.press("○ stands off")
    touch(demo_hand, back, -70, 40)
    demo_hand.write("Place 2, stands off by", "9")
    # the gap from a photo, seen at a slant
    demo_hand.press("From a photo")
    demo_hand.see("A photo of the back")
    demo_hand.browser.find_element(By.CSS_SELECTOR, "[aria-label='Photo of the back']").send_keys(str(photo))
    demo_hand.press("a rectangle, seen at a slant")
    svg = demo_hand.find("[aria-label='Photo with its marks']")
    demo_hand.see("Touch the top left corner of the rectangle")
    for corner in CARD:
        touch(demo_hand, svg, *tilted(corner))
    demo_hand.see("Touch where the waist crosses the gap")
    touch(demo_hand, svg, *tilted((0, 0)))
    heights = [z for z in GAPS if -115 < z < 95]
    for z in heights:
        for edge in edges_in(drawn(tilted), tilted, z):
            touch(demo_hand, svg, *edge)
    demo_hand.write("Known length", "6")
    demo_hand.write("Known height", "8")
    shown = demo_hand.wait(lambda: gaps_shown(demo_hand))
    assert len(shown) == len(heights)
    for z in heights:
        nearest = min(shown, key=lambda one: abs(one - z / 10))
        assert nearest == pytest.approx(z / 10, abs=0.4)
        assert shown[nearest] == pytest.approx(GAPS[z], abs=4)
    # a mark is moved by the keyboard, and the gap follows
    last = demo_hand.find(f"[aria-label='Right edge {len(heights)}']")
    demo_hand.browser.execute_script("arguments[0].focus()", last)
    last.send_keys(Keys.SHIFT, Keys.ARROW_RIGHT)
    demo_hand.wait(lambda: gaps_shown(demo_hand) not in ({}, shown))
    demo_hand.press(f"Take these {len(heights)} gaps")
    demo_hand.see("Marks of photo 1")
    # pinched, moved, noted
    demo_hand.press("+ a pinch or slash")
    choose(demo_hand, "Pinch 1, seam", "2")
    demo_hand.write("Pinch 1, amount", "5")
    choose(demo_hand, "She could sit", "hard")
    demo_hand.press("Log fitting 2")
    demo_hand.see("Sitting pushes it up")
    logged = demo_hand.sheet(line)["build"]["fittings"][1]
    assert [tap["word"] for tap in logged["taps"]] == ["digs", "stands off"]
    assert logged["taps"][0]["z_mm"] == pytest.approx(60, abs=4)
    assert logged["taps"][1]["off_mm"] == 9
    assert logged["pinches"][0]["seam"] == 2
    assert logged["photos"][0]["known_high_mm"] == 80
    assert all(reading["spread_mm"] > 0.3 for reading in logged["readings"])
    # what was pinned is in the table and on the panels, as it was pinned
    proposal = demo_hand.sheet(line)["plan"]["proposal"]
    place = next(entry for entry in proposal["lines"] if entry["level"] is None and entry["seen"] == "pinned")
    assert (place["seam"], place["cf_side_mm"], place["cb_side_mm"]) == (2, -2.5, -2.5)
    table = demo_hand.find("[aria-label='Change by seam']").text
    assert "4.0 below to 4.0 cm above the waist" in table
    assert "as pinned" in table
    assert any("2.5 + 2.5" in badge.text for badge in demo_hand.all("[data-mark='2·3 take in']"))
    # a line of the change is refused, then set, and the prediction moves
    levels = [entry for entry in proposal["lines"] if entry["level"]]
    one = max(levels, key=lambda entry: abs(entry["cf_side_mm"] + entry["cb_side_mm"]))
    where = f"seam {one['label']}, {one['level'].replace('_', ' ').capitalize()}"
    foretold = demo_hand.find("[aria-label='What comes of it']").text
    demo_hand.press(f"Refuse {where}")
    demo_hand.see("refused")
    demo_hand.wait(lambda: demo_hand.find("[aria-label='What comes of it']").text != foretold)
    demo_hand.click(f"button[aria-label$='set {where}, CF side']")
    box = demo_hand.find("[aria-label='Change by seam'] input")
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys("much", Keys.ENTER)
    demo_hand.find("p.bad[role=alert]")
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys("2", Keys.ENTER)
    demo_hand.wait(lambda: demo_hand.sheet(line)["build"]["line_edits"][0]["cf_side_mm"] in (2, -2))
    demo_hand.press("All as worked out")
    demo_hand.gone("All as worked out")
    demo_hand.press("Make version 2")
    demo_hand.see("Version 2 is ready to try on")
    demo_hand.see("Leave out:")
    demo_hand.see("where 5 mm came out: does it lie on now?")
    demo_hand.wait(lambda: odds(demo_hand) != before)
    demo_hand.press("The story so far")
    demo_hand.see("The tape alone")
    assert len(demo_hand.all(".story .girth")) == 3 * len(demo_hand.sheet(line)["plan"]["body"]["levels"])
    demo_hand.press("Back to the mock-ups")


def test_a_fitting_is_corrected_and_only_words_still_teach(demo_hand):
    line = demo_hand.stage("Underclock mender", "mockups")
    demo_hand.press("Correct it")
    demo_hand.see("Correct fitting 1")
    was = demo_hand.value("Gap 1")
    demo_hand.write("Gap 1", str(float(was) + 15))
    demo_hand.press("Keep fitting 1")
    demo_hand.wait(lambda: demo_hand.sheet(line)["build"]["fittings"][0]["corrected"] == 1)
    demo_hand.press("Log a fitting")
    touch(demo_hand, demo_hand.all(".views svg")[1], 10, -50)
    demo_hand.press("Log fitting 2")
    demo_hand.see("Fitting 2: no gap was read")
    demo_hand.see("words alone say little")


def test_a_rehearsal_from_the_stand_to_the_cut_cloth(demo_hand):
    demo_hand.stage("Lamplighter Regent", "mockups")
    demo_hand.press("Rehearse on the dress stand")
    demo_hand.press("An even stand")
    demo_hand.see("Lamplighter Regent, rehearsal")
    demo_hand.press("Lace it on the stand")
    demo_hand.press("Log fitting 1")
    demo_hand.find(".odds")
    demo_hand.press("Make version 2")
    demo_hand.see("Version 2 is ready to try on")
    demo_hand.press("Cut the cloth")
    demo_hand.see("hidden")
    assert demo_hand.find(".verdict h1").text in ("It fits", "It does not fit")
    demo_hand.press("Back to it")
