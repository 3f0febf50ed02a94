"""Bones, front and back as a maker uses them: schools, channels, cutting, catalogue, openings, rows."""

import io

from pypdf import PdfReader
from selenium.webdriver import ActionChains
from selenium.webdriver.common.keys import Keys

from tests.ui.driving import Hand

REGENT = "Lamplighter Regent"


def pick(hand: Hand, channel: str) -> None:
    hand.find(f"[data-channel='{channel}']").send_keys(Keys.ENTER)
    hand.see(f"Channel {channel}")


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
    line = demo_hand.build(REGENT)
    sheet = demo_hand.sheet(line)
    front = [channel for channel in sheet["plan"]["between"] if channel["panel"] < 5]
    bare = {"revision": sheet["revision"], "changes": [{"at": "bones.between", "value": front}]}
    assert demo_hand.api.post(f"/api/builds/{line['id']}/changes", json=bare).status_code == 200
    demo_hand.stage(REGENT, "bones")
    demo_hand.click("[data-panel='5']")
    demo_hand.press("One drawn through points")
    demo_hand.wait(lambda: len(demo_hand.all("[data-handle]")) == 3)
    middle = demo_hand.find("[data-handle='5a 1']")
    ActionChains(demo_hand.browser).drag_and_drop_by_offset(middle, -28, 0).perform()

    def bone() -> dict:
        return next(one for one in demo_hand.sheet(line)["plan"]["bones"] if one["channel"] == "5a")

    demo_hand.wait(lambda: bone()["radius_mm"] and bone()["radius_mm"] < 1500)
    demo_hand.press("A point more")
    demo_hand.wait(lambda: len(demo_hand.all("[data-handle]")) == 4)
    demo_hand.press("A point less")
    demo_hand.wait(lambda: len(demo_hand.all("[data-handle]")) == 3)
    demo_hand.find("figure [aria-label='Between the plies, stitched through, to scale']")


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
