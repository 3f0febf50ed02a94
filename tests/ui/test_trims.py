"""Trims as a maker uses them: beads that run out, a frill from what is at hand, a skirt that slips and is held."""

import math

import pytest


def kept(hand, name):
    return hand.sheet(hand.build(name))["build"]["trims"]


def test_beads_that_run_out_stop_at_a_seam(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "trims")
    hand.see("Nothing on it")
    hand.press("+ along a line")
    hand.write("What it is", "jet beads", leave=False)
    hand.write("A piece every, mm", "none", leave=False)
    hand.press("Put it on")
    hand.see("none")
    hand.browser.refresh()
    hand.press("+ along a line")
    hand.see("As you typed it")
    assert hand.value("What it is") == "jet beads"
    hand.write("A piece every, mm", "14", leave=False)
    hand.write("Pieces at hand", "40", leave=False)
    hand.press("Put it on")
    hand.see("pieces are lacking")
    hand.see("Stop at the seam")
    assert hand.violations() == []
    hand.press("Do that")
    hand.gone("pieces are lacking")
    (beads,) = kept(hand, "Lamplighter Regent")["along"]
    assert beads["line"]["ends_mm"] > 100
    hand.press("Take it off")
    hand.see("Nothing on it")


def test_a_frill_follows_from_what_is_at_hand(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "trims")
    hand.press("+ a frill or skirt")
    hand.write("Cloth at hand, cm", "6", leave=False)
    hand.press("Put it on")
    hand.see("does not even go once")
    hand.write("Cloth at hand, cm", "30", leave=False)
    hand.press("Put it on")
    hand.see("from what is at hand")
    assert hand.violations() == []
    assert kept(hand, "Lamplighter Regent")["hanging"][0]["at_hand_mm"] == 300


def test_a_skirt_that_slips_is_held_by_a_band_of_its_own(demo_hand):
    hand = demo_hand
    hand.stage("Beekeeper General", "trims")
    hand.see("It slips")
    assert hand.violations() == []
    hand.press("do that")
    hand.gone("It slips")
    assert kept(hand, "Beekeeper General")["hanging"][0]["own_band"]


def test_a_waist_stay_is_put_in_and_taken_out_again(demo_hand):
    hand = demo_hand
    line = hand.stage("Beekeeper General", "trims")
    hand.see("It slips")
    held = hand.sheet(line)["plan"]["trims"]["load"]["friction_n"]
    hand.browser.execute_script(
        "[...document.querySelectorAll('[data-load] li')].find((one) => one.innerText.includes('waist stay'))"
        ".querySelector('button').click()"
    )
    hand.see("With a waist stay.")
    stayed = hand.sheet(line)["plan"]
    assert stayed["trims"]["load"]["friction_n"] == pytest.approx(held + 0.3 * 2 * math.pi * 20, abs=0.1)
    hand.press("take it out")
    hand.gone("With a waist stay.")
    assert hand.sheet(line)["plan"]["trims"]["load"]["friction_n"] == pytest.approx(held)


def test_embroidery_is_drawn_between_channels_and_room_for_a_motif_is_told(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "trims")
    hand.write("wide, cm", "2", leave=False)
    hand.write("high, cm", "3", leave=False)
    hand.press("Look")
    hand.see("It fits on")
    assert len(hand.all('[aria-label="Free on each panel"] tbody tr')) == 6
    hand.press("+ over an area")
    hand.press("Draw")
    area = hand.find(".drawing rect")
    box = hand.browser.execute_script(
        "const p = document.querySelectorAll('path.panel')[2].getBoundingClientRect();"
        "return [p.left, p.top, p.width, p.height]"
    )
    left, top, wide, high = box
    for x, z in ((0.4, 0.3), (0.6, 0.3), (0.6, 0.5), (0.4, 0.5)):
        hand.browser.execute_script(
            "arguments[0].dispatchEvent(new MouseEvent('click',"
            "{bubbles: true, clientX: arguments[1], clientY: arguments[2]}))",
            area,
            left + x * wide,
            top + z * high,
        )
    hand.see("4 points")
    hand.press("Drawn")
    hand.press("Put it on")
    hand.find('[data-trim-row="sequins"]')
    (sequins,) = kept(hand, "Lamplighter Regent")["areas"]
    assert {spot["panel"] for spot in sequins["spots"]} == {3}


def test_a_strap_waits_for_the_fitting(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "trims")
    hand.press("+ a strap")
    hand.press("Put it on")
    hand.see("how high the shoulder lies")
    hand.write("Over the shoulder, by tape, cm", "38", leave=False)
    hand.press("Put it on")
    hand.see("The arm goes up to")
    hand.stage("Lamplighter Regent", "make")
    hand.press("Put on: strap")
    hand.see("Try it on with its bones")


def test_a_trim_line_of_the_picture_becomes_one_on_the_garment(demo_hand):
    hand = demo_hand
    hand.stage("Lamplighter Regent", "trims")
    hand.see("On the picture")
    hand.press("Make it one on the garment")
    hand.see("as on “Act two, by the lamps”")
    (line,) = kept(hand, "Lamplighter Regent")["along"]
    assert line["line"]["on"] == "drawn"
    assert hand.violations() == []
