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


def test_what_is_refused_stays_where_it_was_written(demo_hand):
    demo_hand.stage("Underclock mender", "mockups")
    demo_hand.press("Log a fitting")
    demo_hand.press("Log fitting 2")
    demo_hand.see("needs the gap at three heights at least")
    demo_hand.write("Gap 1", "30")
    demo_hand.write("Height of reading 1", "31")
    demo_hand.press("+ a place by its height")
    demo_hand.write("Place 1, height", "40")
    demo_hand.press("Log fitting 2")
    demo_hand.see("is outside the lacing edge")
    assert demo_hand.value("Gap 1") == "30"
    demo_hand.write("Height of reading 1", "9")
    demo_hand.press("Log fitting 2")
    demo_hand.see("does not cover her there")
    demo_hand.press("Take out place 1")
    demo_hand.press("Leave it")
    demo_hand.see("Correct it")


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


def test_an_older_fitting_is_corrected_and_its_versions_are_marked(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "mockups")
    demo_hand.click("ol li:first-child button")
    demo_hand.see("From version 1 to 2")
    demo_hand.press("Correct it")
    demo_hand.see("Correct fitting 1")
    choose(demo_hand, "Its waist", "+")
    demo_hand.write("Its waist, by", "6")
    choose(demo_hand, "Top line, side", "+")
    demo_hand.write("Top line, side, by", "8")
    demo_hand.press("Keep fitting 1")
    demo_hand.see("from a fitting that was corrected since")
    fitting = demo_hand.sheet(line)["build"]["fittings"][0]
    assert (fitting["rides_mm"], fitting["corrected"]) == (6, 1)
    assert fitting["edges"] == [{"edge": "top", "place": "side", "off_mm": 8}]


def test_two_pulls_of_one_evening_are_read_side_by_side_and_the_wrong_way_round_is_refused(demo_hand):
    line = demo_hand.stage("Underclock mender", "mockups")
    demo_hand.press("Log a fitting")
    demo_hand.press("+ the gap at another pull")
    for i, gap in enumerate((44, 45, 46), start=1):
        demo_hand.write(f"Gap {i}", str(gap))
        demo_hand.write(f"Gap {i}, pulled light", str(gap - 14))
    before = len(demo_hand.sheet(line)["build"]["fittings"])
    demo_hand.press(f"Log fitting {before + 1}")
    demo_hand.see("a lighter pull leaves the wider gap")
    assert len(demo_hand.sheet(line)["build"]["fittings"]) == before
    assert demo_hand.value("Gap 2, pulled light") == "31"
    for i, gap in enumerate((44, 45, 46), start=1):
        demo_hand.write(f"Gap {i}, pulled light", str(gap + 13))
    demo_hand.press(f"Log fitting {before + 1}")
    demo_hand.wait(lambda: len(demo_hand.sheet(line)["build"]["fittings"]) == before + 1)
    fitting = demo_hand.sheet(line)["build"]["fittings"][-1]
    assert [other["pull"] for other in fitting["also"]] == ["light"]
    assert [reading["gap_mm"] for reading in fitting["also"][0]["readings"]] == [57, 58, 59]
    pulls = [one for one in demo_hand.sheet(line)["plan"]["learned"]["pulls"] if one["fitting"] == fitting["number"]]
    assert len(pulls) == 2
    # corrected, it is there again as it was written
    demo_hand.press("Correct it")
    demo_hand.wait(lambda: demo_hand.value("Gap 3, pulled light") == "59")


def test_a_line_of_her_own_stands_and_is_not_turned_back(demo_hand):
    line = demo_hand.stage("Underclock mender", "mockups")
    if demo_hand.sheet(line)["plan"]["proposal"]:
        demo_hand.press("Make version 2")
        demo_hand.gone("Make version 2")
    demo_hand.press("+ a line of your own")
    choose(demo_hand, "Seam", "2")
    choose(demo_hand, "Level", "waist")
    demo_hand.write("On each panel edge", "300")
    demo_hand.press("Set it")
    demo_hand.find("form[aria-label='A line of your own'] p.bad[role=alert]")
    demo_hand.write("On each panel edge", "2")
    demo_hand.press("Set it")
    demo_hand.see("Make version 3")
    demo_hand.press("Make version 3")
    demo_hand.gone("Make version 3")
    sheet = demo_hand.sheet(line)
    assert sheet["plan"]["proposal"] is None
    decided = {one["level"]: one for one in sheet["build"]["versions"][-1]["pattern"]["decided"]}
    assert decided["waist"]["front_mm"] == pytest.approx(-8, abs=0.1)


def test_a_strip_of_the_cloth_counts_and_one_that_cannot_be_is_refused(demo_hand):
    line = demo_hand.stage("Underclock mender", "mockups")
    demo_hand.press("What mock-ups and the final are made of")
    demo_hand.press("+ a strip under a weight")
    demo_hand.write("Strip, longer by", "80")
    demo_hand.press("Keep it")
    demo_hand.see("no cloth for a boned garment stretches more than 25 %")
    assert demo_hand.value("Strip, longer by") == "80"
    demo_hand.write("Strip, longer by", "7")
    demo_hand.press("Keep it")
    demo_hand.see("7 mm longer over 200 mm")
    learned = {one["cloth"]: one for one in demo_hand.sheet(line)["plan"]["learned"]["cloths"]}
    assert learned["calico"]["believed_share"] > 1.2 * learned["calico"]["usual_share"]


def test_a_collars_fitting_is_read_at_both_edges_and_gets_odds(demo_hand):
    line = demo_hand.stage(COLLAR, "mockups")
    version = len(demo_hand.sheet(line)["build"]["versions"])
    if not version:
        demo_hand.press("Cut version 1 for a mock-up")
    demo_hand.press("Log a fitting")
    demo_hand.see("Fitting 1")
    rows = len(demo_hand.all("input.gap"))
    for i in range(rows):
        demo_hand.write(f"Gap {i + 1}", str(26 - 18 * i // (rows - 1)))
    demo_hand.press("Log fitting 1")
    demo_hand.find(".odds i")
    demo_hand.see("Upper neck")
    demo_hand.see("two fingers")
    plan = demo_hand.sheet(line)["plan"]
    assert plan["proposal"]["sewn_change_mm"]["upper_neck"] > 4
    assert plan["proposal"]["sewn_change_mm"]["collarbone"] < 1
    assert plan["verdict"]["word"] != "cut the cloth"
    demo_hand.see(f"{plan['verdict']['probability'] * 100:.0f} of 100 would fit if cut now")
    demo_hand.go("/")
    demo_hand.see(plan["verdict"]["sentence"])
