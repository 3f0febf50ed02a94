"""Bones, front and back as a maker uses them: schools, channels, cutting, catalogue, openings, rows."""

import io

import pytest
from pypdf import PdfReader
from selenium.webdriver import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.ui.driving import Hand

REGENT = "Lamplighter Regent"


def choose(hand: Hand, label: str, option: str) -> None:
    """Pick from a list with this label."""

    def opened() -> bool:
        fields = hand.browser.find_elements(
            By.XPATH, f'//*[contains(@class,"v-select")][.//label[normalize-space()="{label}"]]'
        )
        shown = next(one for one in fields if one.is_displayed())
        hand.browser.execute_script("arguments[0].scrollIntoView({block: 'center'})", shown)
        shown.find_element(By.CSS_SELECTOR, ".v-field").click()
        return True

    hand.wait(opened, f"there is no list “{label}”")
    hand.press(option)


def pick(hand: Hand, channel: str) -> None:
    hand.find(f"[data-channel='{channel}']").send_keys(Keys.ENTER)
    hand.see(f"Channel {channel}")


def test_another_school_changes_what_the_gap_does(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    bow = demo_hand.find("[data-cell='all steel gap bows']").text
    other = demo_hand.find("[data-cell='plastic gap bows']").text
    assert bow != other
    demo_hand.click("[data-school='plastic']")
    demo_hand.wait(lambda: demo_hand.find("[data-school='plastic']").get_attribute("aria-pressed") == "true")
    demo_hand.see(f"bow {other}")
    there = demo_hand.sheet(line)["build"]["bones"]
    assert (there["lacing_edge"], there["seams"], there["curved"]) == ("plastic_10", "plastic_6", "woven_8")


def test_a_channel_is_added_where_a_finding_asks_for_it_and_taken_back(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    demo_hand.see("Panel 5 has")
    demo_hand.wait(lambda: demo_hand.all("g.unboned"))
    demo_hand.press("Add a channel, 5a?")
    demo_hand.press("Add a channel, 5a")
    demo_hand.gone("Panel 5 has")
    demo_hand.find("[data-bone='5a']")
    assert not demo_hand.all("g.unboned")
    added = demo_hand.sheet(line)
    assert [one["channel"] for one in added["plan"]["bones"] if one["panel"] == 5] == ["5a", "5·6"]
    demo_hand.browser.find_element(By.TAG_NAME, "body").send_keys(Keys.CONTROL, "z")
    demo_hand.see("Panel 5 has")


def test_a_channel_is_moved_by_pointer_and_by_keys_and_left_out(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    pick(demo_hand, "3a")
    handle = demo_hand.find("[data-handle='3a line']")
    before = next(one for one in demo_hand.sheet(line)["plan"]["bones"] if one["channel"] == "3a")["across"]
    ActionChains(demo_hand.browser).drag_and_drop_by_offset(handle, 14, 0).perform()

    def across() -> float:
        return next(one for one in demo_hand.sheet(line)["build"]["bones"]["between"] if one["panel"] == 3)["across"]

    dragged = demo_hand.wait(lambda: demo_hand.sheet(line)["build"]["bones"]["between"] and across())
    assert dragged > before + 0.05
    handle = demo_hand.find("[data-handle='3a line']")
    handle.send_keys(Keys.ARROW_LEFT, Keys.ARROW_LEFT)
    demo_hand.wait(lambda: across() < dragged - 0.01)
    demo_hand.press("Two side by side")
    demo_hand.wait(lambda: demo_hand.find("[data-bone='3a']").text.startswith("2 ×"))
    demo_hand.press("Leave it out")
    demo_hand.wait(lambda: not demo_hand.all("[data-channel='3a']"))
    demo_hand.see("Panel 3 has")


def test_a_channel_is_drawn_through_points_and_pulled_into_shape(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    demo_hand.click("[data-panel='5']")
    demo_hand.press("One drawn through points")
    demo_hand.wait(lambda: len(demo_hand.all("[data-handle]")) == 3)
    middle = demo_hand.find("[data-handle='5a 1']")
    ActionChains(demo_hand.browser).drag_and_drop_by_offset(middle, -16, 0).perform()

    def bone() -> dict:
        return next(one for one in demo_hand.sheet(line)["plan"]["bones"] if one["channel"] == "5a")

    demo_hand.wait(lambda: bone()["radius_mm"] and bone()["radius_mm"] < 1500)
    demo_hand.press("A point more")
    demo_hand.wait(lambda: len(demo_hand.all("[data-handle]")) == 4)
    demo_hand.press("A point less")
    demo_hand.wait(lambda: len(demo_hand.all("[data-handle]")) == 3)
    demo_hand.find("figure [aria-label='Between the plies, stitched through, to scale']")


def test_channels_are_walked_and_added_by_key(demo_hand):
    demo_hand.stage(REGENT, "bones")
    demo_hand.find("[data-channel]")
    body = demo_hand.browser.find_element(By.TAG_NAME, "body")
    body.send_keys("n")
    demo_hand.see("Channel CF")
    body.send_keys("n")
    demo_hand.see("Channel 1a")
    body.send_keys("N")
    demo_hand.see("Channel CF")
    body.send_keys("a")
    demo_hand.see("Channel 1b")
    body.send_keys(Keys.DELETE)
    demo_hand.gone("Channel 1b")
    assert demo_hand.wait(lambda: not demo_hand.all("[data-channel='1b']"))


def test_a_seam_gets_its_channel_beside_it_under_a_tape(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    pick(demo_hand, "3·4")
    choose(demo_hand, "Where", "one on each side")
    demo_hand.find("[data-channel='3·4 CF']")
    pick(demo_hand, "3·4 CB")
    choose(demo_hand, "Made, just here", "under a tape outside")
    demo_hand.see("tape 14 mm finished, cut 28 mm, 2 lines of stitching")
    demo_hand.find(".strip.outside")
    found = {one["channel"]: one for one in demo_hand.sheet(line)["plan"]["bones"]}
    assert found["3·4 CB"]["panel"] == 4
    assert found["3·4 CF"]["made"] == "between plies"


def test_the_shelf_is_used_and_what_is_wrong_stays_at_its_field(demo_hand):
    demo_hand.stage(REGENT, "bones")
    demo_hand.press("Cutting")
    demo_hand.wait(lambda: "Nothing to buy" in demo_hand.find("[data-cutting='flat_12']").text)  # 1090 mm lie there
    demo_hand.press("take off: flat steel 12 × 1.0 mm, 1090 mm")
    demo_hand.see("1.5 m off the coil")
    choose(demo_hand, "Kind", "flat steel 12 × 1.0 mm")
    box = demo_hand.field("length, mm")
    box.send_keys("7", Keys.ENTER)
    demo_hand.see("can't be right for the length of a piece on the shelf")
    assert box.get_property("value") == "7"
    box.send_keys(Keys.CONTROL, "a")
    box.send_keys("1080", Keys.ENTER)
    demo_hand.see("1 × 1080 mm")
    demo_hand.wait(lambda: "Nothing to buy" in demo_hand.find("[data-cutting='flat_12']").text)


def test_once_cut_the_bones_are_held_against_the_top_line(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    demo_hand.press("Cutting")
    demo_hand.press("The bones are cut")
    demo_hand.see("All cut bones still fit")
    here = demo_hand.sheet(line)
    lower = {"revision": here["revision"], "changes": [{"at": "draft.top.side_mm", "value": "6 cm"}]}
    assert demo_hand.api.post(f"/api/builds/{line['id']}/changes", json=lower).status_code == 200
    now = demo_hand.sheet(line)
    accepted = {"revision": now["revision"], "what": "accept"}
    assert demo_hand.api.post(f"/api/builds/{line['id']}/versions", json=accepted).status_code == 200
    demo_hand.stage(REGENT, "bones")
    demo_hand.see("in version 2")
    demo_hand.press("Cutting")
    demo_hand.see("change on each half")
    assert demo_hand.all("[data-fate]")
    demo_hand.press("Now they are cut so")
    demo_hand.see("All cut bones still fit")


def test_a_kind_is_put_into_the_catalogue_and_used(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    demo_hand.press("Catalogue")
    demo_hand.press("Another kind")
    demo_hand.write("What it is called", "Narrow steel")
    demo_hand.write("width, mm", "0")
    demo_hand.write("thickness, mm", "0.6")
    demo_hand.press("Keep it")
    demo_hand.see("can't be right for the width of a bone: 2 to 30 mm")
    assert demo_hand.value("What it is called") == "Narrow steel"
    demo_hand.write("width, mm", "5")
    demo_hand.press("Keep it")
    demo_hand.gone("Keep it")
    demo_hand.see("5 mm × 0.6 mm")
    demo_hand.press("Bones")
    demo_hand.click("[aria-label='Show'] .v-btn:first-child")
    pick(demo_hand, "2·3")
    choose(demo_hand, "Kind, just here", "Narrow steel")
    demo_hand.wait(
        lambda: next(one for one in demo_hand.sheet(line)["plan"]["bones"] if one["channel"] == "2·3")["width_mm"] == 5
    )


def test_without_a_busk_it_says_what_the_lace_must_be(demo_hand):
    line = demo_hand.stage(REGENT, "front")
    demo_hand.see("In by the busk")
    demo_hand.see("blunt-nosed shears within reach")
    lace = demo_hand.sheet(line)["plan"]["lace"]["cut_mm"]
    choose(demo_hand, "It opens by", "no opening")
    demo_hand.gone("In by the busk")
    after = demo_hand.sheet(line)["plan"]
    assert after["lace"]["cut_mm"] > lace
    demo_hand.see(after["ways"][0]["sentence"])
    demo_hand.press("Measure what has to pass")
    demo_hand.write("round the shoulders", "94")
    demo_hand.gone("her shoulders are a guess")
    assert not demo_hand.all("[data-stud]")


def test_each_opening_says_what_to_buy_and_in_which_order(demo_hand):
    demo_hand.stage(REGENT, "front")
    for opening, says in (
        ("separating zip", "separating zip, 250 mm"),
        ("hooks and eyes", "18 hooks and eyes"),
        ("laced in front", "Laced in front"),
        ("hidden zip", "hidden zip, 250 mm"),
    ):
        choose(demo_hand, "It opens by", opening)
        demo_hand.see(says)
        demo_hand.see("In this order")


def test_a_busk_of_her_own_is_measured_and_refused_where_it_cannot_be(demo_hand):
    line = demo_hand.stage(REGENT, "front")
    demo_hand.press("A busk of her own")
    demo_hand.write("length, mm", "200")
    demo_hand.write("studs from the top end, mm, with ; between", "20; 100; 210")
    demo_hand.press("Keep it")
    demo_hand.see("is beyond the end of a busk of 200 mm")
    demo_hand.write("studs from the top end, mm, with ; between", "20; 100; 180")
    demo_hand.press("Keep it")
    demo_hand.see("A busk of 200 mm")
    assert len(demo_hand.all("[data-stud]")) == 3
    demo_hand.find("[data-stud='2']").send_keys(Keys.ENTER)
    demo_hand.see("Stud 2")
    busk = demo_hand.sheet(line)["plan"]["busk"]
    demo_hand.see(f"{busk['studs_mm'][1]:g} mm below the top stitch line")


def test_rows_lie_closer_at_the_waist_and_a_row_is_picked_on_the_garment(demo_hand):
    line = demo_hand.stage(REGENT, "back")
    rows = len(demo_hand.sheet(line)["plan"]["holes"]["z_mm"])
    demo_hand.write("closer at the waist", "16")
    demo_hand.wait(lambda: len(demo_hand.all("[data-row]")) > rows)
    demo_hand.find("[data-row='3']").send_keys(Keys.ENTER)
    demo_hand.find(".rows li.picked")
    demo_hand.find("figure [aria-label='The lacing edge, from the fold inward, to scale']")
    choose(demo_hand, "Holes", "two-part grommet, 4 mm hole")
    demo_hand.see("hardly runs through a hole of 4 mm")
    demo_hand.press("Double-faced ribbon, 10 mm?")
    demo_hand.press("Double-faced ribbon, 10 mm")
    demo_hand.gone("hardly runs through")


def test_the_strips_come_out_of_the_print_menu(demo_hand, downloads):
    demo_hand.stage(REGENT, "back")
    for title, ending, word in (
        ("Strip of bones, 1:1", "*-bones-v*-a4.pdf", "cut 2"),
        ("Front, both sides, 1:1", "*-front-v*-a4.pdf", "loop side"),
        ("Punching strip, 1:1", "*-holes-v*-a4.pdf", "lacing edge"),
    ):
        demo_hand.press("Print")
        demo_hand.press(title)
        file = demo_hand.wait(lambda ending=ending: next(iter(downloads.glob(ending)), None))
        demo_hand.wait(lambda file=file: file.stat().st_size > 1000)
        pages = PdfReader(io.BytesIO(file.read_bytes())).pages
        assert word in " ".join(page.extract_text() for page in pages)


def test_what_is_opened_on_the_bones_page_has_no_axe_violations(demo_hand):
    demo_hand.stage(REGENT, "bones")
    pick(demo_hand, "3a")
    demo_hand.find("[data-handle]")
    assert demo_hand.violations() == []
    demo_hand.press("Cutting")
    demo_hand.find(".plan")
    assert demo_hand.violations() == []
    demo_hand.press("Catalogue")
    demo_hand.press("Another kind")
    assert demo_hand.violations() == []


def test_what_is_opened_on_the_front_page_has_no_axe_violations(demo_hand):
    demo_hand.stage(REGENT, "front")
    demo_hand.press("A busk of her own")
    assert demo_hand.violations() == []
    choose(demo_hand, "It opens by", "laced in front")
    demo_hand.see("Laced in front, hole by hole")
    assert demo_hand.violations() == []


def test_a_shipped_kind_is_changed_and_put_back_as_it_was(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    before = demo_hand.sheet(line)["plan"]["boning"]["grams"]
    demo_hand.press("Catalogue")
    demo_hand.press("flat steel 12 × 1.0 mm")
    assert demo_hand.value("width, mm") == "12"
    demo_hand.write("grams a metre", "120")
    demo_hand.press("Keep it")
    demo_hand.see("120 g/m")
    assert demo_hand.sheet(line)["plan"]["boning"]["grams"] > before
    demo_hand.press("as it was")
    demo_hand.gone("120 g/m")
    assert demo_hand.sheet(line)["plan"]["boning"]["grams"] == pytest.approx(before)


def test_turns_on_the_seams_and_dipped_ends_are_chosen(demo_hand):
    line = demo_hand.stage(REGENT, "bones")
    choose(demo_hand, "On every second of them", "synthetic 7 × 1.5 mm")
    demo_hand.wait(lambda: demo_hand.all("[data-channel='2·3'].strip"))
    assert not demo_hand.all("[data-channel='1·2'].strip")
    choose(demo_hand, "Ends of cut steel", "dipped, coat by coat")
    demo_hand.see("coats of dip, each overnight")
    assert demo_hand.sheet(line)["plan"]["boning"]["coats"] > 0
    pick(demo_hand, "CB outer")
    assert "Made, just here" not in demo_hand.text()  # a folded edge is made between its plies


def test_a_thin_busk_behind_a_flap(demo_hand):
    line = demo_hand.stage(REGENT, "front")
    for words in ("a flap behind hides it", "a thin one, that bends by hand"):
        demo_hand.browser.find_element(By.XPATH, f'//label[normalize-space()="{words}"]').click()
        demo_hand.wait(lambda words=words: demo_hand.all(".v-selection-control--dirty"))
    demo_hand.see("Flap:")
    demo_hand.see("Sew a channel for the flat steel beside it")
    front = demo_hand.sheet(line)["build"]["front"]
    assert (front["flap"], front["thin"]) == (True, True)
