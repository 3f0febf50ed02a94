"""The garment on her, as it is met: opened at a stage, turned by hand and keys, pressure, picture, two versions."""

import io
import math
from urllib.parse import unquote

import pytest
from PIL import Image
from selenium.webdriver import ActionChains
from selenium.webdriver.common.keys import Keys

CANVAS = "return document.querySelector('[data-canvas]').toDataURL('image/png')"


def shown(hand):
    hand.find("[data-canvas]")
    hand.wait(lambda: not hand.all(".pane[aria-busy=true]"))


def drawn(hand):
    """What is drawn there, as a picture."""
    import base64

    text = hand.browser.execute_script(CANVAS)
    return Image.open(io.BytesIO(base64.b64decode(text.split(",", 1)[1]))).convert("RGBA")


def colours(picture):
    return {colour for count, colour in picture.getcolors(maxcolors=1_000_000) if count > 200 and colour[3] > 250}


def pick(hand, label, option):
    hand.browser.execute_script(
        "const one = [...document.querySelectorAll('aside .v-select')].find((x) => x.innerText.includes(arguments[0]));"
        "one.querySelector('input').dispatchEvent(new MouseEvent('mousedown', { bubbles: true }))",
        label,
    )
    hand.press(option)


def test_it_is_turned_and_shows_what_the_stage_adds_and_how_firmly_it_presses(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "mockups")
    loaded = hand.browser.execute_script("return performance.getEntriesByType('resource').map((one) => one.name)")
    assert not any("OnBody" in name for name in loaded)  # it comes when it is opened
    hand.find("body").send_keys("b")
    shown(hand)
    hand.see("too firm")
    assert hand.violations() == []
    first = drawn(hand)
    assert len(colours(first)) > 20
    canvas = hand.find("[data-canvas]")
    ActionChains(hand.browser).drag_and_drop_by_offset(canvas, 120, 0).perform()
    hand.wait(lambda: "turned" in canvas.get_attribute("aria-label"))
    assert drawn(hand).tobytes() != first.tobytes()
    hand.press("back")
    hand.wait(lambda: canvas.get_attribute("aria-label") == "The garment on her, from: back")
    hand.find("body").send_keys(Keys.ARROW_RIGHT)
    hand.wait(lambda: "turned 165°" in canvas.get_attribute("aria-label"))
    hand.find("body").send_keys("1")
    hand.wait(lambda: canvas.get_attribute("aria-label").endswith("front"))
    pressed = drawn(hand)
    hand.click("[data-part=pressure]")
    hand.gone("too firm")
    hand.wait(lambda: drawn(hand).tobytes() != pressed.tobytes())
    # it goes along to another stage, and shows what that adds
    hand.press("Bones")
    hand.wait(lambda: hand.find("[data-part=bones]").is_selected())
    hand.find("body").send_keys(Keys.ESCAPE)
    hand.wait(lambda: not hand.all("[data-canvas]"))


def test_it_lies_over_the_picture_and_two_versions_are_weighed(demo_hand):
    hand = demo_hand
    line = hand.stage("Lamplighter Regent", "pattern")
    hand.press("On the body")
    shown(hand)
    pick(hand, "Over a picture", "Act two, by the lamps")
    image = hand.find("figure img")
    hand.wait(lambda: hand.browser.execute_script("return arguments[0].naturalWidth > 0", image))
    assert hand.violations() == []
    pick(hand, "Over a picture", "none")
    hand.wait(lambda: not hand.all("figure img"))
    pick(hand, "Against", "version 1")
    hand.see("Version 1")
    hand.see("Waist, over it")
    body = f"/api/builds/{line['id']}/body"
    now, before = (hand.api.get(f"{body}{which}").json()["levels"] for which in ("", "?version=1"))
    of = [next(one["worn_mm"] for one in levels if one["level"] == "waist") for levels in (now, before)]
    hand.see(f"{math.floor(abs(of[1] - of[0]) * 2 + 0.5) / 2:g} mm")
    hand.press("one over the other")
    hand.wait(lambda: not hand.all(".pane.two"))
    assert hand.violations() == []


@pytest.mark.parametrize("turn", [0, 180])
def test_the_drawing_is_a_file_of_its_own(demo_hand, turn):
    line = demo_hand.build("Lamplighter Regent")
    found = demo_hand.api.get(f"/api/builds/{line['id']}/body.svg?turn={turn}")
    assert unquote(found.headers["content-disposition"]).count("Lamplighter-Regent-on-the-body.svg")
    assert found.content.startswith(b"<svg")
