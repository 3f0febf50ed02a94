"""The cut page as a maker uses it: cloths on the table, pieces picked, on the fold, and stopped."""

from selenium.webdriver.common.keys import Keys

REGENT = "Lamplighter Regent"


def idle(hand):
    hand.wait(lambda: not hand.all("[aria-label='Laying the pieces']"))


def test_every_cloth_is_laid_and_a_piece_is_found_on_it(demo_hand):
    demo_hand.stage(REGENT, "cut")
    demo_hand.see("To cut from cotton lawn")
    demo_hand.see("by the catalogue")
    demo_hand.press("coutil")
    demo_hand.find("[data-placed='2 strength 2']")
    assert len(demo_hand.all("g.piece")) == 13
    demo_hand.click("[data-piece-row='2 strength 2'] button")
    assert len(demo_hand.all("g.piece.picked")) == 2
    piece = demo_hand.find("[data-placed='2 strength modesty panel']")
    piece.send_keys(Keys.ENTER)
    demo_hand.wait(lambda: len(demo_hand.all("g.piece.picked")) == 1)
    idle(demo_hand)
    demo_hand.click(".toggle input")
    demo_hand.see("one too many on the fold")
    assert len(demo_hand.all("g.piece")) == 7
    idle(demo_hand)


def test_laying_is_stopped_and_goes_on_when_asked(demo_hand):
    demo_hand.stage(REGENT, "cut")
    demo_hand.see("by the catalogue")
    idle(demo_hand)
    demo_hand.press("Better")
    demo_hand.press("Stop")
    demo_hand.see("Better")
    assert demo_hand.all("g.piece")
