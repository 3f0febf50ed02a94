"""Keys and ears: every menu and dialog under axe, in both themes; nothing is a trap; what changed is said."""

import pytest
from selenium.webdriver.common.action_chains import ActionChains
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.ui.driving import STAGES

MENUS = ("/", "/shelf", "/shopping", "/cards", "brief", "wearer", "pattern", "bones")


def over(hand) -> bool:
    return bool(hand.all(".v-overlay--active"))


def checked(hand) -> None:
    """What lies over the page has no violations, by day and by night."""
    hand.wait(lambda: over(hand))
    for night in (False, True):
        hand.browser.execute_script(
            "document.querySelectorAll('.v-theme--light, .v-theme--dark').forEach((one) => {"
            "one.classList.toggle('v-theme--dark', arguments[0]);"
            "one.classList.toggle('v-theme--light', !arguments[0])})",
            night,
        )
        assert hand.violations(*(["color-contrast"] if night else []), within=".v-overlay-container") == []
    hand.browser.execute_script(
        "document.querySelectorAll('.v-theme--dark').forEach((one) => "
        "(one.classList.remove('v-theme--dark'), one.classList.add('v-theme--light')))"
    )


def closed(hand) -> None:
    hand.browser.switch_to.active_element.send_keys(Keys.ESCAPE)
    hand.wait(lambda: not over(hand))


@pytest.mark.long
def test_no_menu_has_axe_violations_and_escape_leads_back_to_what_opened_it(demo_hand):
    line = demo_hand.build("Lamplighter Regent")
    opened = set()
    for page in MENUS:
        demo_hand.go(page if page.startswith("/") else f"/build/{line['id']}/{page}")
        demo_hand.find("h1")
        demo_hand.wait(lambda: not demo_hand.all("[aria-busy=true]"))
        menus = [one for one in demo_hand.all("[aria-haspopup=menu]") if one.is_displayed()]
        for activator in menus:
            name = activator.get_attribute("aria-label") or activator.text
            if name in opened or (name.startswith("More for") and any(one.startswith("More for") for one in opened)):
                continue
            opened.add(name)
            activator.send_keys(Keys.ENTER)
            checked(demo_hand)
            closed(demo_hand)
            assert demo_hand.browser.switch_to.active_element == activator
    assert {"Print", "A client far away", "From the book", "Start from another pattern"} <= opened


@pytest.mark.long
def test_no_dialog_has_axe_violations_each_is_named_takes_the_focus_and_gives_it_back(demo_hand):
    hand = demo_hand
    line = hand.build("Lamplighter Regent")
    ways = (
        ("/", "New build", None),
        ("/shelf", "Put something on it", None),
        ("/settings", "Devices", None),
        (f"/build/{line['id']}/pattern", "Start from another pattern", "Type in the widths of a pattern you have"),
        (f"/build/{line['id']}/pattern", "Start from another pattern", "Trace a drawing"),
        (f"/build/{line['id']}/pattern", "Start from another pattern", "Refit an earlier build"),
    )
    for page, first, second in ways:
        hand.go(page)
        hand.press(first)
        if second:
            hand.press(second)
        dialog = hand.find("[role=dialog]")
        named = "return arguments[0].getAttribute('aria-label') || arguments[0].getAttribute('aria-labelledby')"
        assert hand.browser.execute_script(named, dialog), (page, second or first)
        hand.wait(
            lambda: hand.browser.execute_script("return !!document.activeElement.closest('.v-overlay-container')"),
            f"{second or first} has not taken the focus",
        )
        checked(hand)
        closed(hand)
    body = hand.browser.find_element(By.TAG_NAME, "body")
    for key in ("?", "/"):
        body.send_keys(key)
        hand.find("[role=dialog]")
        checked(hand)
        closed(hand)


@pytest.mark.long
def test_no_stage_is_a_trap_and_tab_walks_it_in_reading_order(demo_hand):
    """Tab goes on to the end of every page and comes back to its head; nothing holds the keyboard."""
    line = demo_hand.build("Lamplighter Regent")
    for stage in STAGES:
        demo_hand.go(f"/build/{line['id']}/{stage}")
        demo_hand.find("h1")
        demo_hand.wait(lambda: not demo_hand.all("[aria-busy=true]"))
        count = demo_hand.browser.execute_script(
            "return [...document.querySelectorAll('a[href], button, input, select, textarea, summary, [tabindex]')]"
            ".filter((one) => one.tabIndex >= 0 && !one.disabled && one.checkVisibility()).length"
        )
        demo_hand.browser.execute_script(
            "window.stops = []; addEventListener('focusin', (event) => window.stops.push(event.target), true)"
        )
        tabs = ActionChains(demo_hand.browser, duration=0)
        for _ in range(count + 40):  # a day has several stops
            tabs.send_keys(Keys.TAB)
        tabs.perform()
        stops, round_again, last = demo_hand.browser.execute_script(
            "const all = [...new Set(window.stops)];"
            "const last = [...document.querySelectorAll('main button, main input')]"
            ".filter((one) => one.tabIndex >= 0 && !one.disabled && one.checkVisibility()).pop();"
            "return [all.length, window.stops.lastIndexOf(all[0]) > 0, !last || all.includes(last)]"
        )
        assert stops >= 12, stage
        assert round_again, f"{stage}: {stops} stops of {count}, and no way round"
        assert last, stage
