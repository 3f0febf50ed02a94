"""The shelf and the shopping list as a maker uses them."""

import pytest
from PIL import Image, ImageDraw
from selenium.webdriver import ActionChains
from selenium.webdriver.common.keys import Keys


def choose_article(hand, words):
    box = hand.find(".piece-form .v-autocomplete input")
    box.send_keys(words)
    hand.press(words)


def test_something_is_put_on_the_shelf_and_what_is_wrong_stays_at_its_field(hand):
    hand.go("/shelf")
    hand.see("Nothing lies here yet")
    hand.press("Put something on it")
    choose_article(hand, "coutil")
    assert hand.violations() == []
    hand.write("along the grain, cm", "much")
    hand.press("Put it on the shelf")
    hand.see("is not a length")
    assert hand.value("along the grain, cm") == "much"
    assert hand.value("between the selvedges, cm") == "138.0"  # as the catalogue has it
    hand.write("along the grain, cm", "2.4 m")
    hand.write("where it lies", "roll by the door")
    hand.press("Put it on the shelf")
    hand.see("240.0 × 138.0 cm")
    hand.press("Undo")
    hand.see("Nothing lies here yet")
    hand.press("Do again")
    hand.see("roll by the door")


def test_pieces_are_kept_for_a_build_and_let_go(demo_hand):
    demo_hand.go("/shelf")
    demo_hand.see("kept for Beekeeper General")
    demo_hand.press("keep for …: two-part grommet, 5 mm hole")
    demo_hand.write("how many", "50")
    demo_hand.press("Keep it")
    demo_hand.see("so much is not left")
    demo_hand.write("how many", "20", leave=False)
    demo_hand.press("Keep it")
    demo_hand.see("26 free")
    demo_hand.press("let go: busk, 230 mm, 4 studs, for Lamplighter Regent")
    demo_hand.gone("kept for Lamplighter Regent")


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


def test_a_sheet_is_read_and_only_what_is_right_goes_on_the_shelf(hand, tmp_path):
    file = tmp_path / "shelf.csv"
    file.write_bytes(b"what;count;long;wide\ngrommet_5;20;;\ncoutil;1;2 m;138 cm\nmoonbeams;3;;\n")
    hand.go("/shelf")
    hand.see("Nothing lies here yet")
    hand.browser.find_element("css selector", "[aria-label='CSV of a shelf']").send_keys(str(file))
    hand.see("One row can’t be read")
    hand.see("row 4, moonbeams")
    hand.press("Put these 2 on the shelf")
    hand.see("200.0 × 138.0 cm")
    assert len(hand.api.get("/api/shelf").json()["pieces"]) == 2


def test_a_parcel_is_put_on_the_shelf_and_one_under_way_is_called_off(demo_hand):
    demo_hand.go("/shelf")
    demo_hand.see("the parcel is here")
    demo_hand.press("Put it on the shelf")
    demo_hand.press("Call it off")  # at once: it waits for the parcel
    demo_hand.see("Nothing under way")
    demo_hand.see("arrived, 10.0 m")
    demo_hand.find("body").send_keys(Keys.CONTROL, "z")
    demo_hand.see("1 order under way")


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


def test_a_half_typed_piece_comes_back_after_a_reload(hand):
    hand.go("/shelf")
    hand.press("Put something on it")
    choose_article(hand, "coutil")
    hand.write("along the grain, cm", "2.4 m")
    hand.browser.refresh()
    hand.press("Put something on it")
    hand.see("As you typed it")
    assert hand.value("along the grain, cm") == "2.4 m"
    hand.press("Leave it")
    hand.press("Put something on it")
    assert not hand.all("[aria-label='How it is measured']")


@pytest.mark.long
def test_what_was_bought_in_her_own_shops_is_read_from_the_list_and_comes_onto_the_shelf(demo_hand, tmp_path):
    demo_hand.go("/shopping")
    demo_hand.click("[data-buy='spiral_6'] input")
    demo_hand.press("From a shop of your own …")
    demo_hand.write("the shop", "Corner market", leave=False)
    assert demo_hand.violations() == []
    demo_hand.press("It is here")
    demo_hand.see("Corner market: spiral steel")
    file = tmp_path / "list.csv"
    file.write_bytes(b"article;amount;from;paid\r\ncoutil;1 m;Market;20\r\nmoonbeams;1;Market;2\r\n")
    demo_hand.find("[aria-label='CSV of a shopping list']").send_keys(str(file))
    demo_hand.see("row 3, moonbeams")
    demo_hand.find("[data-own='Market']")
    demo_hand.press("It is here")
    demo_hand.see("Market: coutil, the parcel is here")
    assert not demo_hand.all("[data-own='Market']")
    orders = [one["order"] for one in demo_hand.api.get("/api/shelf").json()["orders"]]
    assert [(one["shop"], one["own"]) for one in orders[:2]] == [("Market", True), ("Corner market", True)]


def test_grommets_are_kept_where_they_are_planned(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "back")
    demo_hand.see("46 free")
    demo_hand.press("keep: two-part grommet, 5 mm hole")
    demo_hand.see("22 kept")
    kept = [one for one in demo_hand.api.get("/api/shelf").json()["pieces"] if one["piece"]["name"] == "grommet_5"]
    assert [(one["build"], one["amount"]) for one in kept[0]["reserved"]] == [(line["id"], 22)]
