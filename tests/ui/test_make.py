"""The making as a maker uses it: a day of work, a step out of order and its way back, a day in danger and saved."""

import pytest


def kept(hand, name):
    return hand.sheet(hand.build(name))["build"]["make"]


@pytest.mark.long
def test_a_day_in_danger_and_what_saves_it(demo_hand):
    hand = demo_hand
    hand.go("/today")
    hand.see("Putting every step on its day")
    hand.wait(lambda: hand.all("[data-day]"))
    hand.see("Make mock-up 2")
    assert hand.violations() == []
    hand.find("[aria-label='Builds by their day']")
    hand.click("[data-build='Underclock mender'] a")
    hand.see("What would save time?")
    before = hand.find(".odds").text
    hand.press("What would save time?")
    hand.see("Planning each of them through")
    hand.press("Take it: Bind both edges by machine")
    hand.wait(lambda: kept(hand, "Underclock mender")["binding"] == "by machine")
    hand.wait(lambda: hand.all(".odds") and hand.find(".odds").text != before)
    assert int(hand.find(".odds").text.split()[0]) > int(before.split()[0])
