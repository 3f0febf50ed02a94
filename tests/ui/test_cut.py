"""The cut page as a maker uses it: cloths on the table, pieces picked, on the fold, looked at longer, and stopped."""

from selenium.webdriver.common.keys import Keys

REGENT = "Lamplighter Regent"


def test_every_cloth_is_laid_pieces_are_found_on_it_and_laying_is_stopped(demo_hand):
    demo_hand.stage(REGENT, "cut")
    demo_hand.see("To cut from cotton lawn")
    demo_hand.see("by the catalogue")
    demo_hand.press("Stop")
    demo_hand.press("coutil")
    demo_hand.find("[data-placed='2 strength 2']")
    assert len(demo_hand.all("g.piece")) == 13
    demo_hand.click("[data-piece-row='2 strength 2'] button")
    assert len(demo_hand.all("g.piece.picked")) == 2
    demo_hand.find("[data-placed='2 strength modesty panel']").send_keys(Keys.ENTER)
    demo_hand.wait(lambda: len(demo_hand.all("g.piece.picked")) == 1)
    demo_hand.click(".toggle input")
    demo_hand.see("one too many on the fold")
    assert len(demo_hand.all("g.piece")) == 7
    # looking for a better one is stopped, and what there was stays
    demo_hand.press("Better")
    demo_hand.press("Stop")
    demo_hand.see("Better")
    assert len(demo_hand.all("g.piece")) == 7
