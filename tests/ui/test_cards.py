"""The box of cards as a maker uses it: a card made, found, laid beside another, started from; a photo on it."""

import datetime

from PIL import Image

from tests.conftest import MEASURES


def test_a_card_is_found_compared_and_started_from(demo_hand):
    hand = demo_hand
    hand.go("/cards")
    hand.see("2 finished garments")
    assert hand.violations() == []
    hand.write("Any words on the card", "bone tip", leave=False)
    hand.see("1 of 2")
    hand.see("gave way: one bone tip")
    hand.gone("Pendulum wright")
    hand.write("Any words on the card", "porcelain", leave=False)
    hand.see("No card has all of these words.")
    hand.write("Any words on the card", "", leave=False)
    hand.see("Pendulum wright")
    hand.click('[aria-label="compare Pendulum wright"]')
    hand.see("Tick another")
    hand.click('[aria-label="compare Saltmarsh warden"]')
    hand.see("differs by")
    assert hand.violations() == []
    rows = {row.text.split("\n")[0].split(" ")[0]: row.text for row in hand.all(".two tbody tr")}
    assert "+" in rows["closed"]
    hand.press("the other way round")
    hand.wait(lambda: any("−" in row.text and row.text.startswith("closed") for row in hand.all(".two tbody tr")))
    hand.press("put them back")
    hand.gone("differs by")
    hand.click('[data-card="Saltmarsh warden"] .acts .ask')
    hand.see("From last time: One panel more: the sides pull.")
    assert hand.build("Saltmarsh warden, again")["needed_on"] is None


def test_a_card_is_made_with_a_photo_and_found(hand, tmp_path):
    hand.go("/cards")
    hand.see("No garment is finished yet.")
    line = hand.api.post("/api/builds", json={"name": "Reed singer"}).json()
    changes = [{"at": f"wearer.{name}", "value": level} for name, level in MEASURES.items()]
    hand.api.post(f"/api/builds/{line['id']}/changes", json={"revision": line["revision"], "changes": changes})
    hand.stage("Reed singer", "record")
    shot = tmp_path / "front.png"
    Image.new("RGB", (300, 400), "teal").save(shot)
    hand.choose_file("front …", shot)
    hand.find('img[alt="Reed singer, front"]')
    (tmp_path / "no.png").write_text("nothing")
    hand.choose_file("side …", tmp_path / "no.png")
    hand.see("no.png: This is no picture that can be read")
    hand.press("It is finished")
    hand.see("Finished on")
    assert hand.violations() == []
    hand.go("/cards")
    hand.see("one finished garment")
    hand.find('img[alt="Reed singer"]')


def test_a_fitting_is_agreed_for_a_day_and_told_where_it_can_not_be_kept(demo_hand):
    hand = demo_hand
    today = datetime.date.today()
    hand.stage("Tinder archivist", "make")
    hand.press("Try it on with its bones, laced by strips")
    hand.press("Agree on a day …")
    hand.write_day("on", today - datetime.timedelta(days=2))
    hand.press("Keep the day")
    hand.see("That day is over.")
    hand.write_day("on", today)
    hand.write("where, when, with whom", "at hers, at seven")
    hand.press("Keep the day")
    hand.see("at hers, at seven")
    hand.see("What comes before it is done on")
    hand.press("change")
    hand.write_day("on", today + datetime.timedelta(days=12))  # when it is needed: the work is planned before
    hand.press("Keep the day")
    hand.gone("What comes before it is done on")
    assert hand.violations() == []
    hand.press("no such day any more")
    hand.see("Agree on a day …")
