"""What a page opens when it is asked to: forms, tables, ways out. Nobody is kept from it."""

from collections.abc import Callable

from selenium.webdriver.common.keys import Keys

from tests.ui.driving import Hand

REGENT, GENERAL, ARCHIVIST = "Lamplighter Regent", "Beekeeper General", "Tinder archivist"


def bones(hand: Hand) -> None:
    hand.find("[data-channel='3a']").send_keys(Keys.ENTER)
    hand.find("[data-handle]")


def cutting(hand: Hand) -> None:
    hand.press("Cutting")
    hand.find(".plan")


def catalogue(hand: Hand) -> None:
    hand.press("Catalogue")
    hand.press("Another kind")


def busk(hand: Hand) -> None:
    hand.press("A busk of her own")


def laced_in_front(hand: Hand) -> None:
    hand.choose("It opens by", "laced in front")
    hand.see("Laced in front, hole by hole")


def drawn(hand: Hand) -> None:
    hand.press("As drawn?")
    hand.see("Within the limits")


def padded(hand: Hand) -> None:
    hand.click("[data-way='within the limits'] .ask")
    hand.find("[aria-label='Her outline'] .padded polygon")


def lacking(hand: Hand) -> None:
    hand.press("+ along a line")
    hand.write("What it is", "jet beads", leave=False)
    hand.write("A piece every, mm", "14", leave=False)
    hand.write("Pieces at hand", "40", leave=False)
    hand.press("Put it on")
    hand.see("pieces are lacking")


def frill(hand: Hand) -> None:
    hand.press("+ a frill or skirt")
    hand.write("Cloth at hand, cm", "30", leave=False)
    hand.press("Put it on")
    hand.see("from what is at hand")


def shut_out(hand: Hand) -> None:
    hand.click("[data-row='waist tape'] .name")
    hand.press("All of that is done, and this")
    hand.press("The ways back")
    hand.see("Open at its place and shut again: Join 1·2")


def agreed(hand: Hand) -> None:
    hand.press("Try it on with its bones, laced by strips")
    hand.press("Agree on a day …")


def worn(hand: Hand) -> None:
    hand.press("It is finished")
    hand.press("It was worn …")
    hand.write("for how many hours", "5", leave=False)
    hand.write("what gave way", "one stitch at the busk", leave=False)
    hand.press("Keep it")
    hand.see("gave way: one stitch at the busk")


def compared(hand: Hand) -> None:
    hand.click('[aria-label="compare Pendulum wright"]')
    hand.click('[aria-label="compare Saltmarsh warden"]')
    hand.see("differs by")


def put_on_the_shelf(hand: Hand) -> None:
    hand.see("kept for Beekeeper General")
    hand.press("Put something on it")
    hand.find(".piece-form .v-autocomplete input").send_keys("coutil")
    hand.click("[role=option]")
    hand.find("[aria-label='How it is measured']")


OPENED: tuple[tuple[str, str, tuple[Callable[[Hand], None], ...]], ...] = (
    (REGENT, "make", (shut_out,)),
    (REGENT, "bones", (bones, cutting, catalogue)),
    (REGENT, "front", (busk, laced_in_front)),
    (REGENT, "brief", (drawn, padded)),
    (REGENT, "trims", (lacking, frill)),
    (ARCHIVIST, "make", (agreed,)),
    (ARCHIVIST, "record", (worn,)),
    (GENERAL, "trims", ()),
    ("", "/cards", (compared,)),
    ("", "/shelf", (put_on_the_shelf,)),
)


def test_what_is_opened_has_no_axe_violations(demo_hand):
    hand = demo_hand
    hand.go("/")
    hand.see(REGENT)
    for build, where, opened in OPENED:
        hand.walk(f"/build/{hand.build(build)['id']}/{where}" if build else where)
        for opens in opened:
            opens(hand)
            assert hand.violations() == [], f"{build} {where}, {opens.__name__}"
        assert hand.violations() == [], f"{build} {where}"
