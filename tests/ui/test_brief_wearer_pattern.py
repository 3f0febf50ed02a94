"""The brief, the wearer and the pattern as their user meets them: pictures, the book, edits, drawings, refits."""

import io
import math

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


def test_a_girth_is_read_three_times_and_what_disagrees_is_told(demo_hand):
    demo_hand.stage("Underclock mender", "wearer")
    demo_hand.press("Another reading of High hip")
    demo_hand.write("High hip girth, reading 2", "80.9")
    demo_hand.wait(lambda: demo_hand.value("High hip girth, reading 2") == "80.9")
    demo_hand.press("High hip measured again")
    demo_hand.write("High hip girth, reading 3", "83.4")
    demo_hand.see("The readings of the high hip differ by 2.9 cm: measure it again.")
    demo_hand.write("High hip girth, reading 3", "80.7")
    demo_hand.gone("differ by")


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


def test_answers_of_the_brief_drive_later_choices_visibly(demo_hand):
    line = demo_hand.stage("Beekeeper General", "brief")
    demo_hand.see("Because she gets in alone")
    demo_hand.press("bend")
    demo_hand.see("Because she bends and dances in it")
    demo_hand.press("reduction")
    demo_hand.see("Because it reduces")
    demo_hand.see("Because it is worn 7 hours")
    demo_hand.press("Make it so")
    demo_hand.wait(lambda: demo_hand.sheet(line)["build"]["bones"]["lacing_edge"] == "flat_12")
    demo_hand.press("support")
    demo_hand.see("Because it only supports")


def test_another_kind_brings_its_levels_and_its_draft(demo_hand):
    made = demo_hand.api.post("/api/builds", json={"name": "Kelp singer", "kind": "overbust corset"}).json()
    demo_hand.stage("Kelp singer", "wearer")
    for level, girth in (("Bust", "92"), ("Underbust", "78"), ("Waist", "71"), ("Hip", "97")):
        demo_hand.write(f"{level} girth", girth)
        demo_hand.field(f"{level} girth, reading 1")
    demo_hand.press("See the pattern")
    demo_hand.see("What the overbust corset does")
    demo_hand.see("High bust")
    assert demo_hand.sheet(made)["build"]["draft"]["panels"] == 6


def test_a_newer_measuring_says_what_it_changes_and_is_taken(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "wearer")
    demo_hand.see("This build rests on the older measures.")
    demo_hand.press("What would change?")
    demo_hand.see("to sew")
    demo_hand.press("Take these measures")
    demo_hand.gone("This build rests on the older measures.")
    demo_hand.wait(lambda: demo_hand.value("Waist girth, reading 1") == "68.9")
    demo_hand.go("/")
    demo_hand.see("Wearers")
    assert "on older measures" not in demo_hand.text()
    assert demo_hand.sheet(line)["newer"] is None


def test_measures_are_written_down_in_the_book_and_used_in_another_build(demo_hand):
    demo_hand.stage("Brass Heron", "wearer")
    demo_hand.press("Write down in the book")
    demo_hand.see("From the book: Isaura, measured")
    made = demo_hand.api.post("/api/builds", json={"name": "Reed piper"}).json()
    demo_hand.go(f"/build/{made['id']}/wearer")
    demo_hand.press("From the book")
    demo_hand.press("Isaura")
    demo_hand.press("Take these measures")
    demo_hand.wait(lambda: demo_hand.value("Waist girth, reading 1") == "82.0")
    demo_hand.go("/")
    demo_hand.press("More for Isaura")
    demo_hand.press("Take out of the book")
    demo_hand.see("is out of the book")
    demo_hand.press("Undo")
    demo_hand.wait(lambda: any("Reed piper" in one.text for one in demo_hand.all(".wearer")))


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


def test_a_seam_is_let_out_a_gusset_let_in_and_limits_are_told(demo_hand):
    line = demo_hand.stage("Brass Heron", "pattern")
    before = closed(demo_hand, line)
    pick(demo_hand, '[data-seam="3"]')
    demo_hand.see("Seam 3·4")
    demo_hand.write("Seam 3·4 at the waist, by", "2")
    demo_hand.wait(lambda: closed(demo_hand, line) == pytest.approx(before + 8, abs=0.01))
    demo_hand.write("Seam 3·4 at the waist, by", "-55")
    demo_hand.see("mm at the least")
    pick(demo_hand, '[data-seam="2"]')
    demo_hand.see("Seam 2·3")
    demo_hand.write("Gusset width", "4", leave=False)
    demo_hand.write("Gusset depth", "9", leave=False)
    demo_hand.press("Let a gusset in")
    demo_hand.see("4.0 cm wide, 9.0 cm deep, from the hem")
    demo_hand.wait(lambda: demo_hand.all(".piece"))
    piece = demo_hand.sheet(line)["plan"]["pattern"]["pieces"][0]
    assert piece["edges_mm"]["open end"] == pytest.approx(40, abs=0.6)
    demo_hand.write("Gusset width", "4", leave=False)
    demo_hand.write("Gusset depth", "9", leave=False)
    demo_hand.press("Let a gusset in")
    demo_hand.see("has a gusset from the hem already")


def test_a_panel_is_typed_split_and_halves_parted(demo_hand):
    line = demo_hand.stage("Brass Heron", "pattern")
    pick(demo_hand, '[data-panel="2"]')
    demo_hand.write("Panel 2, width at the waist", "6,5")
    demo_hand.wait(lambda: demo_hand.sheet(line)["plan"]["pattern"]["panels"][1]["widths_mm"]["waist"] == 65)
    demo_hand.press("Cut panel 2 in two")
    demo_hand.wait(lambda: len(demo_hand.all("path.panel")) == 8)
    pick(demo_hand, '[data-seam="3"]')
    demo_hand.press("left")
    demo_hand.write("Seam 3·4 at the waist, by", "3")
    demo_hand.see("left half, CF → CB")
    pattern = demo_hand.sheet(line)["plan"]["pattern"]
    assert pattern["left_panels"][2]["widths_mm"]["waist"] == pytest.approx(
        pattern["panels"][2]["widths_mm"]["waist"] + 3, abs=0.01
    )


def test_a_level_is_picked_and_its_widths_typed(demo_hand):
    line = demo_hand.stage("Brass Heron", "pattern")
    pick(demo_hand, '[data-level="waist"]')
    demo_hand.see("Width of each panel")
    before = closed(demo_hand, line)
    demo_hand.write("Width of panel 3 at the waist", "5,8")

    def wide():
        return demo_hand.sheet(line)["plan"]["pattern"]["panels"][2]["widths_mm"]["waist"]

    demo_hand.wait(lambda: abs(wide() - 58) < 0.05)
    assert closed(demo_hand, line) != before


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


def test_outlines_are_traced_from_a_drawing_and_a_wrong_turn_is_named(demo_hand, tmp_path):
    line = demo_hand.stage("Brass Heron", "pattern")
    svg = tmp_path / "heron.svg"
    svg.write_bytes(demo_hand.api.get(f"/api/builds/{line['id']}/pattern.svg").content)
    before = {one["name"]: one["closed_mm"] for one in demo_hand.sheet(line)["plan"]["levels"]}
    demo_hand.press("Start from another pattern")
    demo_hand.press("Trace a drawing")
    demo_hand.see("closed outlines")
    bad = tmp_path / "bad.svg"
    bad.write_text('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>')
    demo_hand.browser.find_element(By.CSS_SELECTOR, "input[aria-label=Drawing]").send_keys(str(bad))
    demo_hand.see("holds a script")
    demo_hand.browser.find_element(By.CSS_SELECTOR, "input[aria-label=Drawing]").send_keys(str(svg))
    demo_hand.see("In front of the side seam")
    demo_hand.press("Turn piece 3 upside down")
    demo_hand.see("Panel 3 fits if it is upside down.")
    demo_hand.press("Turn it")
    demo_hand.gone("fits if it is")
    demo_hand.press("Make it version 2")
    demo_hand.see("Version 2, traced from heron.svg")
    after = {one["name"]: one["closed_mm"] for one in demo_hand.sheet(line)["plan"]["levels"]}
    for level in ("underbust", "ribs", "waist"):
        assert after[level] == pytest.approx(before[level], abs=0.5)


def test_an_earlier_build_is_refitted_to_another_wearer(demo_hand):
    line = demo_hand.stage("Brass Heron", "pattern")
    demo_hand.press("Start from another pattern")
    demo_hand.press("Refit an earlier build")
    demo_hand.see("Its levels move to where this wearer's are")
    demo_hand.press("Refit Underclock mender")
    demo_hand.see("Version 2, still drawn on")
    planned = demo_hand.sheet(line)["plan"]
    waist = next(one for one in planned["levels"] if one["name"] == "waist")
    assert waist["closed_mm"] == pytest.approx(planned["aim"]["closed_waist_mm"], abs=25)
    assert len(planned["pattern"]["panels"]) == 5


def test_any_two_versions_are_compared(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "mockups")
    demo_hand.press("Make version 3")
    demo_hand.see("Version 3 is ready to try on")
    demo_hand.click("button[title='Look at this version']")
    demo_hand.see("From version 1 to 3")
    from selenium.webdriver.support.ui import Select

    Select(demo_hand.find("select[aria-label='Compare with version']")).select_by_value("2")
    demo_hand.see("From version 1 to 2")
    found = demo_hand.api.get(f"/api/builds/{line['id']}/compare?before=1&after=2").json()["comparison"]
    assert found["seams"]
    assert all(math.isfinite(level["after_mm"]) for level in found["levels"])
    assert demo_hand.build("Lamplighter Regent")["version"] == 3


def test_a_fitting_is_logged_with_how_it_sat_and_readiness_answers(demo_hand):
    line = demo_hand.stage("Brass Heron", "mockups")
    demo_hand.press("Log a fitting")
    expected = demo_hand.wait(lambda: [cell.text for cell in demo_hand.all("form td.soft")])
    for i, gap in enumerate(expected):
        demo_hand.write(f"Gap {i + 1}", gap)
    demo_hand.press("◑ right")
    demo_hand.press("+ a place by its height")
    demo_hand.write("Waist, girth over it", "lots")
    demo_hand.press("Log fitting 1")
    demo_hand.see("“lots” is not a length")
    demo_hand.write("Waist, girth over it", "")
    demo_hand.press("Log fitting 1")
    demo_hand.see("would fit")
    fitting = demo_hand.sheet(line)["build"]["fittings"][0]
    assert [(tap["z_mm"], tap["word"]) for tap in fitting["taps"]] == [(0, "right")]
    ready = demo_hand.api.get(f"/api/builds/{line['id']}/readiness").json()
    assert 0 < ready["probability"] <= 1
    demo_hand.see(ready["sentence"])


def test_a_garment_of_hers_that_fits_is_told_and_taken_out_again(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "wearer")
    demo_hand.press("+ one that she wears")
    demo_hand.write("Which garment", "the green one")
    demo_hand.write("Waist, girth of the garment", "5")
    demo_hand.press("Keep it")
    demo_hand.see("can't be right for the girth of a garment")
    demo_hand.write("Waist, girth of the garment", "66")
    demo_hand.press("Keep it")
    demo_hand.see("waist 66.0 cm, right")
    assert demo_hand.sheet(line)["build"]["garments"][0]["levels"][0]["girth_mm"] == 660
    demo_hand.click("[aria-label='Take out garment 1']")
    demo_hand.gone("waist 66.0 cm, right")


def test_a_picture_is_read_and_a_way_picked(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "brief")
    hand.press("As drawn?")
    hand.see("The drawn waist is")
    hand.see("Within the limits")
    assert hand.violations() == []
    within = hand.find("[data-way='within the limits']").text
    hand.click("[data-way='within the limits'] .ask")
    line = hand.build("Lamplighter Regent")
    hand.wait(lambda: f"{hand.sheet(line)['build']['target']['reduction_percent']:.1f} % less" in within)
    assert hand.sheet(line)["build"]["target"]["job"] == "reduction_share"
    # its padding came with it, counts in the girths, and is hers to change and to take off
    hand.see("more round her hip")
    hand.find("[aria-label='Her outline'] .padded polygon")
    (pad,) = hand.sheet(line)["build"]["pads"]
    assert (pad["level"], pad["place"]) == ("hip", "sides")
    (made,) = hand.sheet(line)["plan"]["pads"]
    assert next(one for one in hand.sheet(line)["plan"]["levels"] if one["name"] == "hip")[
        "padded_mm"
    ] == pytest.approx(made["girth_mm"])
    hand.write("How thick", "200")
    hand.see("can't be right for the thickness of padding")
    hand.write("How thick", "25")
    hand.wait(lambda: hand.sheet(line)["build"]["pads"][0]["thick_mm"] == 25)
    hand.gone("It is aimed for.")
    hand.press("take it off: Hip")
    hand.see("None.")
    assert hand.violations() == []


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


def test_measures_are_read_from_a_sheet_in_any_unit_and_a_bad_row_is_told_by_number(demo_hand, tmp_path):
    line = demo_hand.stage("Lamplighter Regent", "wearer")
    before = demo_hand.sheet(line)["build"]["wearer"]
    demo_hand.press("As a sheet")
    sheet = tmp_path / "measures.csv"
    sheet.write_text("level;unit;girth;second\nWaist;in;27 3/4;28\nUnderbust;cm;7.9;\nhips;;95,8 cm;\n")
    demo_hand.choose_file("CSV of measures", sheet)
    demo_hand.see("Waist: 70.5 cm, 71.1 cm")
    demo_hand.see("7.9 cm can't be right")
    demo_hand.press("Take these 2")
    demo_hand.wait(lambda: demo_hand.value("Waist girth, reading 2") == "71.1")
    after = demo_hand.sheet(line)["build"]["wearer"]
    assert after["hip"]["readings_mm"] == pytest.approx([958])
    assert after["underbust"] == before["underbust"]


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
