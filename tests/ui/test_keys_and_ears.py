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
    # and under a finger nothing in it is too small
    metrics = {"width": 834, "height": 800, "deviceScaleFactor": 1, "mobile": True}
    hand.browser.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": True})
    hand.browser.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)
    assert hand.too_small_for_fingers(".v-overlay--active .v-overlay__content") == []
    hand.browser.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": False})
    hand.browser.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics | {"width": 1280, "mobile": False})
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
        demo_hand.walk(page if page.startswith("/") else f"/build/{line['id']}/{page}")
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
        hand.walk(page)
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
        demo_hand.walk(f"/build/{line['id']}/{stage}")
        demo_hand.find("h1")
        demo_hand.wait(lambda: not demo_hand.all("[aria-busy=true]"))
        count = demo_hand.browser.execute_script(
            "return [...document.querySelectorAll('a[href], button, input, select, textarea, summary, [tabindex]')]"
            ".filter((one) => one.tabIndex >= 0 && !one.disabled && one.checkVisibility()).length"
        )
        demo_hand.browser.execute_script(
            "document.activeElement?.blur(); window.stops = [];"
            "window.hears ??= addEventListener('focusin', (event) => window.stops.push(event.target), true) ?? true"
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


_NAME = """
const one = document.activeElement
const label = one.labels?.[0]?.textContent ?? ''
return [one.getAttribute('aria-label') ?? '', label.trim(), one.innerText?.trim() ?? '']
"""


def tab_to(hand, name: str) -> None:
    """Press Tab until what has this name has the focus."""
    for _ in range(220):
        if name in hand.browser.execute_script(_NAME):
            return
        ActionChains(hand.browser, duration=0).send_keys(Keys.TAB).perform()
    raise AssertionError(f"Tab never comes to “{name}”")


def typed(hand, *keys: str) -> None:
    ActionChains(hand.browser, duration=0).send_keys(*keys).perform()


@pytest.mark.long
def test_the_main_path_is_walked_by_keyboard_alone(hand):
    hand.go()
    hand.see("Nothing on the table yet")
    tab_to(hand, "New build")
    typed(hand, Keys.ENTER)
    hand.find("[role=dialog]")
    hand.wait(lambda: "Name" in hand.browser.execute_script(_NAME))
    typed(hand, "Tidewarden", Keys.ENTER)
    hand.see("Measures")
    for name, girth in (("Underbust", "77.2"), ("Waist", "70"), ("High hip", "88"), ("Hip", "96")):
        tab_to(hand, f"{name} girth")
        typed(hand, girth, Keys.ENTER)
        hand.find(f"[aria-label='{name} girth, reading 1']")
    hand.see_in("[data-aloud]", "Wearer: 4 girths")
    tab_to(hand, "See the pattern")
    typed(hand, Keys.ENTER)
    hand.find("path.panel")
    # past every point that can be moved, the stage's main action is still there
    tab_to(hand, "Hem at CB")
    tab_to(hand, "Cut version 1 for a mock-up")
    typed(hand, " ")
    hand.see("To the mock-ups")
    tab_to(hand, "To the mock-ups")
    typed(hand, Keys.ENTER)
    hand.see("Version 1 is ready to try on")
    tab_to(hand, "Log a fitting")
    typed(hand, Keys.ENTER)
    hand.wait(lambda: "Log a fitting" in hand.browser.execute_script(_NAME) and hand.all("form.log:focus"))
    for i, gap in enumerate(("31", "37", "45", "52", "60"), start=1):
        tab_to(hand, f"Gap {i}")
        typed(hand, gap)
    tab_to(hand, "Log fitting 1")
    typed(hand, Keys.ENTER)
    hand.see("more to the bottom than was foreseen")
    hand.wait(lambda: hand.all(".slip h1:focus"))  # what it said is where one reads on
    tab_to(hand, "Make version 2")
    typed(hand, Keys.ENTER)
    hand.see("Version 2 is ready to try on")
    typed(hand, "p")
    hand.find("[aria-label=Print].v-list")


def test_panels_and_seams_are_walked_by_arrows_and_a_point_is_taken_in_hand_by_enter(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "pattern")
    hand.find("path.panel")
    main = hand.find(".slip > .acts .bg-primary").text
    tab_to(hand, hand.find("path.panel").get_attribute("aria-label"))
    names = []
    for _ in range(4):
        names.append(hand.browser.switch_to.active_element.get_attribute("data-stop"))
        typed(hand, Keys.ARROW_RIGHT)
    assert names == ["panel 1", "seam 1", "panel 2", "seam 2"]
    typed(hand, Keys.ARROW_LEFT)
    here = hand.browser.switch_to.active_element.get_attribute("data-stop")
    typed(hand, " ")
    kind, number = here.split()
    hand.see(f"Panel {number}" if kind == "panel" else "Seam")
    assert main in hand.find(".slip > .acts").text  # still there beside what is picked
    hand.press("Done")
    tab_to(hand, "Top line at CF")
    hand.see("What the longline corset does")  # only passed over
    typed(hand, Keys.ENTER)
    hand.see_in(".slip h1", "Top line")
    before = hand.find("[data-handle^='top']").get_attribute("aria-valuetext")
    typed(hand, Keys.ARROW_UP)
    hand.wait(lambda: hand.find("[data-handle^='top']").get_attribute("aria-valuetext") != before)
    hand.wait(lambda: hand.find("[data-aloud]").get_attribute("textContent"))
    hand.see_in(".slip > .acts", "Cut version 3 for a mock-up")  # what is to be done now, beside the point in hand


def test_rows_and_studs_say_how_high_they_are(demo_hand):
    line = demo_hand.stage("Lamplighter Regent", "back")
    holes = demo_hand.sheet(line)["plan"]["holes"]["z_mm"]
    demo_hand.find("[data-row]")
    names = [one.get_attribute("aria-label") for one in demo_hand.all("[data-row]")]
    assert names[0] == f"Row 1, {holes[0]:g} mm above the waist"
    assert names[-1] == f"Row {len(holes)}, {-holes[-1]:g} mm below the waist"
