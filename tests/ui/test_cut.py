"""The cut page as a maker uses it: cloths laid on what there is, pieces picked and put down, ways out, and cut."""

from selenium.webdriver import ActionChains
from selenium.webdriver.common.keys import Keys

REGENT, BEEKEEPER = "Lamplighter Regent", "Beekeeper General"


def test_pieces_are_picked_moved_by_keys_laid_on_the_fold_and_an_old_layout_is_shown_as_such(demo_hand):
    line = demo_hand.stage(REGENT, "cut")
    demo_hand.see("To cut from cotton lawn")
    demo_hand.find("g.piece")
    demo_hand.press("coutil")
    demo_hand.find("[data-sheet='s1'] [data-placed='2 strength 2']")
    assert len(demo_hand.all("g.piece")) == 13
    demo_hand.click("[data-piece-row='2 strength 2'] button")
    assert len(demo_hand.all("g.piece.picked")) == 2
    panel = demo_hand.find("[data-placed='2 strength modesty panel']")
    panel.send_keys(Keys.ENTER)
    demo_hand.wait(lambda: len(demo_hand.all("g.piece.picked")) == 1)
    demo_hand.browser.execute_script(
        "window.wasOld = false; new MutationObserver(() => (window.wasOld ||= "
        "document.body.textContent.includes('Laid before the last change')))"
        ".observe(document.body, {subtree: true, childList: true, attributes: true, characterData: true})"
    )
    panel.send_keys(*[Keys.SHIFT, *[Keys.ARROW_RIGHT] * 6])
    demo_hand.wait(lambda: demo_hand.all(".pin"))
    assert demo_hand.browser.execute_script("return window.wasOld")  # while the rest was laid round it
    demo_hand.gone("Laid before the last change")
    pins = demo_hand.sheet(line)["build"]["cut"]["pinned"]["coutil"]
    assert [(pin["sheet"], pin["key"]) for pin in pins] == [("s1", "2 strength modesty panel")]
    demo_hand.press("Lay all anew")
    demo_hand.wait(lambda: not demo_hand.all(".pin"))
    demo_hand.click(".toggle input")
    demo_hand.wait(lambda: len(demo_hand.all("g.piece")) == 7)
    assert demo_hand.sheet(line)["build"]["cut"]["fold"] == ["coutil"]
    demo_hand.press("Stop")
    demo_hand.see("Better")
    assert demo_hand.all("g.piece")


def test_a_scrap_short_a_way_out_is_taken_and_the_cloth_is_cut(demo_hand):
    line = demo_hand.stage(BEEKEEPER, "cut")
    demo_hand.press("cotton sateen")
    demo_hand.find("[data-sheet='s4'] .flaw")  # the scrap with the spot of oil
    demo_hand.see("of cotton sateen are lacking")
    demo_hand.press("What would help?")
    demo_hand.see("then it is enough")
    assert demo_hand.violations() == []
    demo_hand.press("Take it: The binding of coutil")
    demo_hand.see("All of it comes from what there is")
    assert demo_hand.sheet(line)["build"]["cut"]["binding"] == "coutil"
    demo_hand.gone("Laid before the last change")
    demo_hand.press("It is cut")
    demo_hand.see("cotton sateen is cut")
    shelf = {one["piece"]["id"] for one in demo_hand.api.get("/api/shelf").json()["pieces"]}
    assert not {"s4", "s5"} & shelf
    demo_hand.see("cotton sateen is cut")
    demo_hand.press("It is not cut after all")
    demo_hand.find("g.piece")
    assert {"s4", "s5"} <= {one["piece"]["id"] for one in demo_hand.api.get("/api/shelf").json()["pieces"]}


def test_a_piece_is_dragged_off_its_cloth_and_stays_where_it_was(demo_hand):
    line = demo_hand.stage(BEEKEEPER, "cut")
    demo_hand.press("cotton sateen")
    cup = demo_hand.find("[data-sheet='s4'] g.piece")
    key = cup.get_attribute("data-placed")
    demo_hand.click(f"[data-piece-row='{key}'] button")
    cup = demo_hand.find("[data-sheet='s4'] g.piece.picked")
    ActionChains(demo_hand.browser).drag_and_drop_by_offset(cup, 0, 260).perform()
    demo_hand.see("would lie off its cloth, or over a flaw, there")
    assert demo_hand.sheet(line)["build"]["cut"]["pinned"] == {}
