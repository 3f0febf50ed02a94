"""The whole path as a new user walks it, at 1280x800, across a restart of the server."""

import io
import re

import pytest
from pypdf import PdfReader
from selenium.webdriver.common.keys import Keys

from tests.files.test_documents_and_prints import boxes
from tests.ui.driving import Hand

GAPS = ("31", "37", "45", "52", "60")


def measure(hand: Hand) -> None:
    for level, girth in (
        ("Underbust", "77,2"),
        ("Waist", "27 1/2 in"),
        ("High hip", "880 mm"),
        ("Hip", "96"),
    ):
        hand.write(f"{level} girth", girth)
        hand.field(f"{level} girth, reading 1")
    hand.write("Underbust, height at the back", "9.6")
    hand.write("High hip, height at the back", "10")
    hand.write("Waist to lap, sitting", "17.5")


@pytest.mark.long
def test_from_four_girths_to_a_printed_pattern_and_back(server, browser, downloads):
    assert browser.execute_script("return [innerWidth, innerHeight]") == [1280, 800]
    # create
    hand = Hand(browser, server.url)
    hand.go()
    hand.see("Nothing on the table yet")
    hand.press("New build")
    hand.write("Name", "Tidewarden")
    hand.press("Make it")
    # measure, in the words that people use
    hand.see("Measures")
    hand.see("Measure the underbust, waist and hip")
    measure(hand)
    hand.wait(lambda: hand.value("Waist girth, reading 1") == "69.9")
    hand.see("69.9 cm ± 0.9")
    # the draft
    hand.press("See the pattern")
    hand.see("What the underbust corset does")
    hand.wait(lambda: len(hand.all("path.panel")) == 6)
    hand.press("7")
    hand.wait(lambda: len(hand.all("path.panel")) == 7)
    hand.press("6")
    hand.wait(lambda: len(hand.all("path.panel")) == 6)
    # a mock-up: cut, tried on, gaps read
    hand.press("Cut version 1 for a mock-up")
    hand.press("To the mock-ups")
    hand.see("Version 1 is ready to try on")
    hand.press("Log a fitting")
    for i, gap in enumerate(GAPS):
        hand.write(f"Gap {i + 1}", gap)
    hand.press("Log fitting 1")
    hand.see("more to the bottom than was foreseen")
    assert hand.find("[data-mark*='let out']").is_displayed()
    assert hand.find("[data-mark*='take in']").is_displayed()
    final = hand.find("[aria-label='What comes of it'] tbody tr:last-child").text.split()
    assert final[:2] == ["Final", "cloth"]
    assert all(abs(int(gap) - 50) <= 3 for gap in final[2:])
    # the change accepted
    hand.press("Make version 2")
    hand.see("Version 2 is ready to try on")
    assert "than the tape said" in hand.text()
    # a bone's length
    hand.press("Bones")
    hand.see("26 bones, both halves the same")
    hand.press("CB outer")
    hand.see("Channel CB outer")
    shown = int(hand.find("[data-bone='CB outer']").text)
    line = hand.api.get("/api/builds").json()[0]
    sheet = hand.sheet(line)
    bone = next(bone for bone in sheet["plan"]["bones"] if bone["channel"] == "CB outer")
    assert shown == bone["length_mm"] < bone["path_mm"]
    # the pattern, printed
    hand.press("Print")
    hand.press("Pattern 1:1, A4 pages")
    file = downloads / "Tidewarden-pattern-v2-a4.pdf"
    hand.wait(lambda: file.exists() and file.stat().st_size > 0)
    reader = PdfReader(io.BytesIO(file.read_bytes()))
    assert any(abs(w - 50) < 0.05 and abs(h - 50) < 0.05 for w, h in boxes(reader.pages[1]))
    assert "version 2" in reader.pages[0].extract_text()
    # the server starts anew, and everything can still be undone
    server.stop()
    server.start()
    hand.go(f"/build/{line['id']}/mockups")
    hand.see("Version 2 is ready to try on")
    browser.switch_to.active_element.send_keys(Keys.CONTROL, "z")
    hand.see("more to the bottom than was foreseen")
    browser.switch_to.active_element.send_keys(Keys.CONTROL, "z")
    hand.see("Version 1 is ready to try on")
    browser.switch_to.active_element.send_keys(Keys.CONTROL, Keys.SHIFT, "z")
    hand.see("more to the bottom than was foreseen")
    # back to the first day
    undo = "[aria-label^='Undo']"
    hand.press("Wearer")
    hand.find(undo)
    while hand.all(undo):
        label = hand.find(undo).get_attribute("aria-label")
        hand.click(undo)
        hand.wait(lambda label=label: not hand.all(f'[aria-label="{label}"]') or len(hand.all(undo)) == 0)
    hand.see("Measure the underbust, waist and hip")
    assert not re.search(r"\bNaN\b|undefined", hand.text())
