"""The box of cards as a maker uses it: a card made, found, laid beside another, started from; a photo on it."""

from PIL import Image

from tests.conftest import MEASURES


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
