"""A phone in the room: let in by the code on the laptop, its photo arriving there, both in step, put out again."""

import pytest
from selenium.webdriver.common.by import By

from tests.ui.driving import Hand, chromium

LAPTOP_AT = "Lamplighter Regent"


@pytest.fixture(scope="module")
def phone_browser():
    with chromium(width=390, height=844, phone=True) as found:
        yield found


@pytest.mark.long
def test_a_phone_is_let_in_and_its_photo_lands_in_the_fitting_on_the_laptop(demo_hand, phone_browser, photo):
    laptop = demo_hand
    laptop.go("/settings")
    laptop.press("Devices")
    laptop.see("It is off.")
    laptop.press("Open the room")
    laptop.see("for devices that you let in, and no others")
    laptop.press("Let a device in")
    laptop.find("[data-code] img")
    assert laptop.violations() == []
    code = laptop.find("[data-code] .sign").text
    state = laptop.api.get("/api/room").json()
    laptop.see(state["fingerprint"][:23])

    phone_browser.get(state["urls"][0])
    phone = Hand(phone_browser, state["urls"][0])
    phone.see("This device is not let in")
    phone.write("The code on the laptop", "WRONG", leave=False)
    phone.press("Let this device in")
    phone.see("That is not the code on the laptop now")
    phone.write("The code on the laptop", code, leave=False)
    phone.write("What this device is called", "phone of Marit", leave=False)
    phone.press("Let this device in")
    phone.see("On the table")
    assert not phone.all("[data-on-body]")
    phone.go("/settings")
    phone.see("Days off")
    said = phone.find("main").text  # letting others in, and what leaves the house, are the laptop's
    assert not any(word in said for word in ("Devices", "Backup", "Demo workshop"))
    laptop.see("phone of Marit")
    laptop.press("Close this")

    # a fitting is open on the laptop; the photo of the gap comes from the phone
    line = laptop.stage(LAPTOP_AT, "mockups")
    laptop.press("Log a fitting")
    laptop.write("Gap 1", "48")
    phone.go(f"/build/{line['id']}/mockups")
    phone.press("Log a fitting")
    phone.press("From a photo")
    phone.see("A photo of the back")
    phone_browser.find_element(By.CSS_SELECTOR, "[aria-label='Photo of the back']").send_keys(str(photo))
    phone.see("Touch one end of a length that you know")
    laptop.see("A photo has come from another device")
    assert laptop.value("Gap 1") == "48"  # what was typed stays
    laptop.press("Read the gap off it")
    laptop.see("Touch one end of a length that you know")
    assert laptop.find(".photo image, svg image").get_attribute("href").startswith("/api/pictures/")

    # what is changed on the one is seen on the other
    phone.go(f"/build/{line['id']}/pattern")
    laptop.stage(LAPTOP_AT, "pattern")
    phone.write("gap wanted", "43")
    laptop.wait(lambda: laptop.value("gap wanted") == "43")
    laptop.write("gap wanted", "47")
    phone.wait(lambda: phone.value("gap wanted") == "47")

    # put out, it is out at once
    laptop.go("/settings")
    laptop.press("Devices")
    laptop.press("Put out phone of Marit")
    laptop.gone("phone of Marit")
    phone.write("gap wanted", "50")
    phone.see("not let in")
    phone.go("/")
    phone.see("This device is not let in")
    assert laptop.sheet(line)["build"]["target"]["gap_mm"] == 47
    laptop.press("Close the room")
    laptop.see("It is off.")
