"""The brief, the wearer and the pattern as their user meets them: pictures, the book, edits, drawings, refits."""

import io

import pytest
from PIL import Image
from selenium.webdriver import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.ui.driving import Hand


def pick(hand: Hand, css: str) -> None:
    """Click a shape of the garment: its line is thinner than a click needs."""
    hand.find(".paper svg")
    hand.wait(
        lambda: hand.browser.execute_script(
            "const one = document.querySelector(arguments[0]);"
            "if (!one) return false; one.dispatchEvent(new MouseEvent('click', {bubbles: true})); return true",
            css,
        )
    )


def closed(hand: Hand, line: dict, level: str = "waist") -> float:
    return next(one["closed_mm"] for one in hand.sheet(line)["plan"]["levels"] if one["name"] == level)


def picture(path, size=(300, 400), colour="#7a2b3a"):
    image = Image.new("RGB", size, colour)
    target = io.BytesIO()
    image.save(target, "PNG")
    path.write_bytes(target.getvalue())
    return path


def test_pictures_are_added_marked_compared_and_one_is_chosen_with_its_reason(demo_hand, tmp_path):
    line = demo_hand.stage("Brass Heron", "brief")
    demo_hand.see("The pictures you work from")
    chooser = demo_hand.browser.find_element(By.CSS_SELECTOR, "input[aria-label=Picture]")
    lie = tmp_path / "heron.jpg"
    lie.write_bytes(picture(tmp_path / "heron.png").read_bytes())
    chooser.send_keys(str(lie))
    demo_hand.see("ends in .jpg but is a PNG picture")
    none = tmp_path / "none.png"
    none.write_text("not a picture at all")
    demo_hand.browser.find_element(By.CSS_SELECTOR, "input[aria-label=Picture]").send_keys(str(none))
    demo_hand.see("no picture that can be read")
    for i, colour in enumerate(("#7a2b3a", "#234f7a")):
        demo_hand.press("Add a sketch")
        chooser = demo_hand.browser.find_element(By.CSS_SELECTOR, "input[aria-label=Picture]")
        chooser.send_keys(str(picture(tmp_path / f"sketch{i}.png", colour=colour)))
        demo_hand.wait(lambda i=i: len(demo_hand.all(".thumb")) == i + 1)
    demo_hand.press("closure")
    canvas = "svg[aria-label='Picture sketch1, click to mark the closure']"
    for i, (x, y) in enumerate(((0, -60), (2, 60))):
        ActionChains(demo_hand.browser).move_to_element_with_offset(demo_hand.find(canvas), x, y).click().perform()
        demo_hand.wait(lambda i=i: len(demo_hand.all(".drawing circle")) == i + 1)
    demo_hand.press("Mark the closure")
    demo_hand.wait(lambda: demo_hand.all(".mark.closure"))
    marks = demo_hand.sheet(line)["build"]["brief"]["pictures"][1]["marks"]
    assert [mark["kind"] for mark in marks] == ["closure"]
    assert marks[0]["points"][0][0] == pytest.approx(0.5, abs=0.02)
    demo_hand.press("Sketches side by side")
    demo_hand.wait(lambda: len(demo_hand.all("figure")) == 2)
    demo_hand.press("Choose this one")
    demo_hand.write("Chosen because", "The colour of the river at night")
    demo_hand.wait(lambda: "river" in demo_hand.sheet(line)["build"]["brief"]["chosen_because"])
    assert demo_hand.sheet(line)["build"]["brief"]["chosen_sketch"]


def test_the_top_line_is_dragged_and_moved_by_keys_and_undone(demo_hand):
    line = demo_hand.stage("Brass Heron", "pattern")
    before = demo_hand.sheet(line)["plan"]["pattern"]["top"]
    knob = demo_hand.find('[data-handle="top 0"]')
    scale = demo_hand.browser.execute_script(
        "return Number(document.querySelector('#dots').getAttribute('width')) / 100"
    )
    drag = ActionChains(demo_hand.browser).click_and_hold(knob)
    drag.move_by_offset(0, -12).move_by_offset(0, -12).release().perform()
    demo_hand.wait(lambda: len(demo_hand.sheet(line)["build"]["versions"]) == 2)
    demo_hand.press("Done")
    demo_hand.see("Version 2, still drawn on")
    after = demo_hand.sheet(line)["plan"]["pattern"]["top"]
    assert after["cf_mm"] - before["cf_mm"] == pytest.approx(24 / scale, abs=2)
    knob = demo_hand.find('[data-handle="top 2"]')
    knob.send_keys(Keys.ARROW_UP, Keys.ARROW_UP, Keys.ARROW_UP)
    demo_hand.wait(lambda: demo_hand.sheet(line)["plan"]["pattern"]["top"]["cb_mm"] > before["cb_mm"])
    moved = demo_hand.sheet(line)["plan"]["pattern"]["top"]["cb_mm"]
    assert moved - before["cb_mm"] == pytest.approx(3, abs=0.6)
    for seam in demo_hand.sheet(line)["plan"]["seams"]:
        assert seam["cf_side_mm"] == pytest.approx(seam["cb_side_mm"], abs=0.5)
    demo_hand.click("[aria-label^='Undo']")
    demo_hand.wait(lambda: demo_hand.sheet(line)["plan"]["pattern"]["top"]["cb_mm"] == before["cb_mm"])


def test_the_tension_is_pulled_by_hand_and_ribs_are_guarded(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "pattern")
    demo_hand.find('[data-knob="high_hip"]').send_keys(Keys.ARROW_LEFT)
    demo_hand.see("Tension pulled by hand")
    assert "high_hip" in demo_hand.sheet(line)["build"]["target"]["shares"]
    demo_hand.press("Usual tension at the high_hip")
    demo_hand.gone("Tension pulled by hand")
    knob = demo_hand.find('[data-knob="ribs"]')
    ActionChains(demo_hand.browser).click_and_hold(knob).move_by_offset(40, 0).release().perform()
    demo_hand.see("Ribs are not to be reshaped")


def test_a_marked_line_is_made_the_garments_and_a_mark_is_moved(demo_hand):
    hand = demo_hand
    line = hand.stage("Lamplighter Regent", "brief")
    hand.press("As drawn?")
    hand.see("Its lines")
    hand.see("her lap is")  # the hem that is drawn can't be: she has to sit
    top = hand.find("[data-line='Top line']").text
    hand.click("[data-line='Top line'] .ask")
    hand.wait(lambda: hand.sheet(line)["build"]["draft"]["top"]["cf_mm"] is not None)
    height = hand.sheet(line)["build"]["draft"]["top"]["cf_mm"]
    assert top.startswith(f"Top line: {height / 10:.1f} cm from the waist at CF")
    # the garment lies on the picture, at its scale
    hand.click(".tools .check input")
    hand.find(".worn polyline.top")
    assert hand.find(".worn polyline.outline")
    # the mark is picked, moved by the arrows, and by a point of it
    marks = lambda: hand.sheet(line)["build"]["brief"]["pictures"][0]["marks"]  # noqa: E731
    before = marks()
    at = next(i for i, one in enumerate(before) if one["kind"] == "top line")
    hand.browser.execute_script(
        "document.querySelector('.mark.top-line').dispatchEvent(new MouseEvent('click', { bubbles: true }))"
    )
    hand.find(".point")
    hand.browser.execute_script("document.querySelector('.pictures .stage svg').focus()")
    ActionChains(hand.browser).send_keys(Keys.ARROW_DOWN).perform()
    hand.wait(lambda: marks()[at]["points"][0][1] == pytest.approx(before[at]["points"][0][1] + 0.002, abs=1e-4))
    point = hand.find(".point")
    ActionChains(hand.browser).drag_and_drop_by_offset(point, 0, -20).perform()
    hand.wait(lambda: marks()[at]["points"][0][1] < before[at]["points"][0][1] - 0.01)
    assert marks()[at]["points"][1:] != before[at]["points"]
    assert hand.violations() == []


def test_widths_are_marked_by_pointer_as_a_film_shows_them_and_seams_are_laid_as_drawn(demo_hand):
    hand = demo_hand
    line = hand.stage("Lamplighter Regent", "brief")
    hand.press("As drawn?")
    hand.see("59 ± 3 %")
    hand.choose("The figure is", "filmed")
    hand.see("59 ± 2 %")  # a contour is surer than a line with a thickness
    # shoulders, marked from edge to edge by two clicks; nobody measured hers yet
    hand.choose("A width", "shoulders")
    stage = hand.find(".pictures .stage svg")
    box = stage.rect
    for x in (0.31, 0.69):
        at = (round(box["width"] * (x - 0.5)), round(box["height"] * (0.25 - 0.5)))
        ActionChains(hand.browser).move_to_element_with_offset(stage, *at).click().perform()
    hand.press("Mark the shoulders across")
    marks = lambda: hand.sheet(line)["build"]["brief"]["pictures"][0]["marks"]  # noqa: E731
    shoulders = hand.wait(lambda: next((one for one in marks() if one["kind"] == "shoulders across"), None))
    assert [point[0] for point in shoulders["points"]] == pytest.approx([0.31, 0.69], abs=0.01)
    hand.choose("The figure is turned", "20°, her right is seen")
    hand.wait(lambda: hand.sheet(line)["build"]["brief"]["pictures"][0]["turned_deg"] == -20)
    hand.choose("The figure is turned", "0°, from the front")
    hand.wait(lambda: hand.sheet(line)["build"]["brief"]["pictures"][0]["turned_deg"] == 0)
    # two seams in front, as many as the garment has: each is laid where it is drawn, a version that is drawn on
    seams = [{"kind": "seam", "points": [[0.5 + x, 0.45], [0.5 + x, 0.62]]} for x in (0.04, 0.085)]
    opened = hand.sheet(line)
    change = [{"at": "brief.pictures.0.marks", "value": [*opened["build"]["brief"]["pictures"][0]["marks"], *seams]}]
    url = f"/api/builds/{line['id']}/changes"
    assert hand.api.post(url, json={"revision": opened["revision"], "changes": change}).status_code == 200
    hand.browser.refresh()
    hand.press("As drawn?")
    hand.click("[data-line='Seam'] .ask")
    hand.wait(lambda: any("seam 1" in one for one in hand.sheet(line)["build"]["versions"][-1]["changes"]))
    hand.see_in("[data-line='Seam']", "It is so.")
    assert hand.violations() == []


def test_a_drawing_is_saved_as_a_picture_and_the_roll_is_remembered(demo_hand, downloads):
    demo_hand.stage("Lamplighter Regent", "pattern")
    demo_hand.find("path.panel")
    demo_hand.press("Print")
    demo_hand.press("This drawing as a picture")
    file = downloads / "Lamplighter-Regent-pattern.png"
    demo_hand.wait(lambda: file.exists() and file.stat().st_size > 0)
    with Image.open(file) as picture:
        assert picture.width > 1000
        assert len(picture.convert("RGB").getcolors(1_000_000)) > 20  # it is drawn, with its colours
    demo_hand.press("Print")
    demo_hand.press("61 cm")
    demo_hand.browser.refresh()
    demo_hand.find("path.panel")
    demo_hand.press("Print")
    demo_hand.find("a[href*='large.pdf?roll=610']")
