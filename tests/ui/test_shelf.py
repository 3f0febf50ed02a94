"""The shelf and the shopping list as a maker uses them."""

import pytest
from PIL import Image, ImageDraw
from selenium.webdriver import ActionChains


def choose_article(hand, words):
    box = hand.find(".piece-form .v-autocomplete input")
    box.send_keys(words)
    hand.press(words)


def test_a_scrap_is_put_in_by_its_photo(hand, tmp_path):
    # a sheet of A4 and a scrap of 30 × 16 cm beside it, seen straight from above at 2 px a mm
    picture = Image.new("RGB", (1200, 800), "#8a7b66")
    draw = ImageDraw.Draw(picture)
    draw.rectangle((60, 60, 480, 654), fill="white")
    draw.polygon([(540, 460), (1140, 460), (1100, 140), (560, 160)], fill="#c9a24a")
    file = tmp_path / "scrap.png"
    picture.save(file)
    hand.go("/shelf")
    hand.press("Put something on it")
    choose_article(hand, "cotton sateen")
    hand.press("A scrap, by a photo")
    hand.browser.find_element("css selector", ".photo input[type=file]").send_keys(str(file))
    photo = hand.find(".photo svg")
    size = photo.size
    scale = min(size["width"] / 1200, size["height"] / 800)

    def touch(x, y):
        middle = ((x - 600) * scale, (y - 400) * scale)
        ActionChains(hand.browser).move_to_element_with_offset(
            photo, round(middle[0]), round(middle[1])
        ).click().perform()

    hand.see("Touch the top left corner of the sheet")
    for spot in ((60, 60), (480, 60), (480, 654), (60, 654)):
        touch(*spot)
    hand.see("where a thread of the grain begins")
    touch(560, 500)
    touch(1120, 500)
    hand.see("Go round the edge of the scrap")
    for spot in ((540, 460), (1140, 460), (1100, 140), (560, 160)):
        touch(*spot)
    hand.see("along the grain,")
    hand.press("Put it on the shelf")
    hand.wait(lambda: hand.all(".scrap"))
    (piece,) = hand.api.get("/api/shelf").json()["pieces"]
    xs, ys = zip(*piece["shape"], strict=True)
    assert max(xs) == pytest.approx(300, abs=6)  # to a pixel of the screen
    assert max(ys) == pytest.approx(160, abs=6)


@pytest.mark.long
def test_what_is_lacking_is_ordered_and_seen_to_arrive(demo_hand):
    demo_hand.go("/shopping")
    demo_hand.see("Laying every cloth")
    demo_hand.find("[data-buy='spiral_6']")
    demo_hand.click("[data-buy='spiral_6'] input")
    assert demo_hand.violations() == []
    demo_hand.press("Order it")
    demo_hand.see("Ordered from")
    demo_hand.wait(lambda: not demo_hand.all("[data-buy='spiral_6']"))
    demo_hand.press("To the shelf")
    demo_hand.see("spiral steel 6.4 × 1.6 mm")
    before = len(demo_hand.api.get("/api/shelf").json()["pieces"])
    newest = demo_hand.find("[data-order]")
    assert "spiral" in newest.text
    newest.find_element("css selector", "button").click()
    demo_hand.wait(lambda: len(demo_hand.api.get("/api/shelf").json()["pieces"]) == before + 1)
