"""The first hour: nothing on the table, the demo beside it, a build step by step to paper, what each stage is for."""

import datetime
import io

import httpx
import pytest
from pypdf import PdfReader
from selenium.webdriver.common.keys import Keys

from tests.files.test_documents_and_prints import boxes
from tests.serving import copied
from tests.ui.driving import STAGES, Hand, said_in_red


@pytest.mark.long
def test_from_an_empty_workshop_to_paper_in_five_steps(hand, downloads, photo):
    hand.go()
    hand.see("Nothing on the table yet")
    hand.press("First build, step by step")
    hand.see("What do you see in the picture?")
    hand.press("Next")
    hand.see("Give it a name, such as the character’s.")
    hand.write("Name of the build", "Tidewarden")
    hand.click("input[value='overbust corset']")
    hand.see("Bust to hip.")
    # left by a reload, what was typed comes back; it can be let go
    hand.browser.refresh()
    hand.see("As you left it at")
    assert hand.value("Name of the build") == "Tidewarden"
    assert hand.find("input[value='overbust corset']").is_selected()
    hand.press("Begin anew")
    hand.wait(lambda: hand.value("Name of the build") == "")
    assert hand.find("input[value='underbust corset']").is_selected()
    hand.write("Name of the build", "Tidewarden")
    # a picture that is none is told, and keeps nobody from going on
    bad = photo.with_name("bad.png")
    bad.write_bytes(b"no picture")
    hand.choose_file("Choose a picture", bad)
    hand.press("Next")
    hand.see("bad.png:")
    assert hand.value("Name of the build") == "Tidewarden"
    hand.choose_file("Choose a picture", photo)
    hand.find("img[alt='The picture']")
    hand.press("Next")
    hand.see("Who wears it?")
    line = hand.build("Tidewarden")
    assert len(hand.sheet(line)["build"]["brief"]["pictures"]) == 1
    # gone back to, a day that can't be is told at its field, and what was typed stays
    hand.press("1 The picture")
    hand.write("Character and where from", "Keeper of the tides")
    hand.browser.execute_script("document.querySelector('input[type=date]').type = 'text'")
    hand.write("Day it is needed, if there is one", "0003-02-01")
    hand.press("Next")
    hand.see("What do you see in the picture?")
    hand.find(".v-messages [role=alert], .v-messages__message")
    assert hand.value("Character and where from") == "Keeper of the tides"
    hand.browser.refresh()
    hand.see("As you left it at")
    assert hand.value("Character and where from") == "Keeper of the tides"
    hand.write_day("Day it is needed, if there is one", datetime.date.today() + datetime.timedelta(days=40))
    hand.press("Next")
    hand.see("Who wears it?")
    assert hand.sheet(line)["build"]["brief"]["character"] == "Keeper of the tides"
    hand.write("Her name", "Ilse")
    hand.press("used to it")
    hand.press("Next")
    # the girths, one of them impossible at first
    hand.see("Her girths")
    assert not hand.find("button[type=submit]").is_enabled()
    hand.write("Waist", "7")
    hand.see("7.0 cm can't be right")
    assert hand.value("Waist") == "7"
    for name, girth in (("Waist", "27 1/2 in"), ("Underbust", "77,2"), ("High hip", "880 mm"), ("Hip", "96")):
        hand.write(name, girth)
    hand.wait(lambda: hand.find("button[type=submit]").is_enabled())
    assert hand.violations() == []
    # left and come back to, it goes on where it was
    hand.browser.refresh()
    hand.wait(lambda: hand.value("Waist") == "69.9")
    hand.press("Next")
    hand.find("svg[aria-label^='One half']")
    assert hand.browser.execute_script("return document.activeElement.tagName") == "H1"
    hand.press("gentle shaping")
    hand.wait(lambda: hand.sheet(line)["build"]["target"]["reduction_percent"] == 4)
    hand.press("Next")
    hand.see("Measure the test square")
    hand.press("Letter")
    hand.wait(lambda: hand.api.get("/api/house").json()["paper"] == "letter")
    hand.press("Pattern, 1:1")
    file = downloads / "Tidewarden-pattern-draft-letter.pdf"
    hand.wait(lambda: file.exists() and file.stat().st_size > 0)
    page = PdfReader(io.BytesIO(file.read_bytes())).pages[1]
    assert any(abs(wide - 50) < 0.05 and abs(high - 50) < 0.05 for wide, high in boxes(page))
    hand.press("To the mock-ups")
    hand.see("Version 1 is ready to try on")


def test_a_new_build_has_no_alarms_and_each_stage_says_what_it_is_for_until_it_was_worked_in(hand):
    hand.go()
    hand.press("New build")
    hand.write("Name", "Tidewarden")
    hand.press("Make it")
    hand.see("Her girths and heights; a draft needs few of them")
    line = hand.build("Tidewarden")
    for stage in STAGES[:-1]:
        hand.go(f"/build/{line['id']}/{stage}")
        hand.find(".for")
        hand.wait(lambda: not hand.all("[aria-busy=true]"))
        assert said_in_red(hand) == [], stage
    hand.go(f"/build/{line['id']}/wearer")
    hand.write("Waist girth", "70")
    hand.gone("Her girths and heights; a draft needs few of them")
    hand.press("Brief")
    hand.see("What is made, for whom and when")
    hand.press("I know what it is for")
    hand.gone("What is made, for whom and when")
    assert hand.api.get("/api/house").json()["known"] == ["wearer", "brief"]
    hand.go("/settings")
    hand.press("Say again what each is for")
    hand.wait(lambda: hand.api.get("/api/house").json()["known"] == [])


@pytest.mark.long
def test_the_demo_workshop_opens_beside_an_empty_one_and_nothing_of_it_comes_in(
    server, browser, demo_database, tmp_path
):
    copied(demo_database, tmp_path / "data" / "demo")  # as it was filled when it was opened before
    hand = Hand(browser, server.url)
    hand.go()
    hand.press("Open the demo workshop")
    hand.see("apart from yours")
    beside = hand.find(".demo a").get_attribute("href").rstrip("/")
    assert beside != server.url
    assert hand.api.post("/api/demo").json() == {"url": beside}
    demo = Hand(browser, beside)
    demo.go()
    demo.see("Lamplighter Regent")
    assert demo.api.get("/api/about").json()["demo"]
    hand.go()
    hand.see("Nothing on the table yet")
    server.stop()
    demo.wait(lambda: not _answers(demo))


def _answers(hand: Hand) -> bool:
    try:
        return hand.api.get("/api/house").status_code == 200
    except httpx.TransportError:
        return False


def test_what_holds_for_the_whole_workshop_is_set_in_one_place(hand):
    hand.go("/settings")
    hand.press("inches")
    hand.press("Letter")
    hand.press("dark")
    hand.find(".v-theme--dark")
    hand.write("Mon", "17")
    hand.see("Mon: write the hours as a number from 0 to 16.")
    hand.write("Mon", "3,5")
    hand.gone("write the hours as a number")
    hand.wait(lambda: hand.api.get("/api/house").json()["hours"]["by_weekday"][0] == 210)
    hand.browser.execute_script("document.querySelector('input[type=date]').type = 'text'")
    hand.write("a day off", "0026-12-24", leave=False)
    hand.press("Add")
    hand.see("The year 26 can't be right: write all four digits, 1900 to 2199.")
    assert hand.value("a day off") == "0026-12-24"
    hand.write("a day off", "2026-12-24", leave=False)
    hand.press("Add")
    hand.see("24 Dec")
    house = hand.api.get("/api/house").json()
    assert house["hours"]["off"] == ["2026-12-24"]
    assert (house["unit"], house["paper"], house["theme"]) == ("in", "letter", "dark")
    assert hand.violations("color-contrast") == []
    hand.see("Your workshop is kept in")


def test_a_word_of_the_trade_is_looked_up(hand):
    hand.go("/words")
    hand.see("waistline")
    hand.write("A word", "busk", leave=False)
    hand.gone("waistline")
    hand.see("Two steels that open in front")
    hand.write("A word", "spaceship", leave=False)
    hand.see("No such word is here.")
    hand.field("A word").send_keys(Keys.CONTROL, "a", Keys.DELETE)
    hand.see("waistline")


def test_a_name_in_her_script_is_read_on_the_page_and_in_the_name_of_its_file(demo_hand, downloads):
    line = demo_hand.stage("Lamplighter Regent", "brief")
    loaded = (
        "return document.fonts.check('16px \"Fuseau Names\"', '王') && [...document.fonts].some("
        "(one) => one.family.includes('Names') && one.unicodeRange.includes('U+6000') && one.status === 'loaded')"
    )
    assert not demo_hand.browser.execute_script(loaded)  # it is asked for where it is needed, and nowhere else
    demo_hand.write("Name", "王小明 श्रीमती")
    demo_hand.wait(lambda: demo_hand.sheet(line)["build"]["brief"]["name"] == "王小明 श्रीमती")
    demo_hand.wait(lambda: demo_hand.browser.execute_script(loaded))
    demo_hand.press("Print")
    demo_hand.press("Fitting slip")
    file = downloads / "王小明-श्रीमती-fitting-v2.pdf"
    demo_hand.wait(lambda: file.exists() and file.stat().st_size > 0)
