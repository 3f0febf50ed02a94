"""Trims as a maker uses them: beads that run out, a frill from what is at hand, a skirt that slips and is held."""


def kept(hand, name):
    return hand.sheet(hand.build(name))["build"]["trims"]


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
