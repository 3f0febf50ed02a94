"""The layers' page as a maker uses it: plies in and out, a cloth of her own, methods side by side."""

from tests.ui.test_hardware import choose

REGENT = "Lamplighter Regent"


def plies(hand, line):
    return [(ply["role"], ply["cloth"]) for ply in hand.sheet(line)["build"]["layers"]["plies"]]


def test_a_method_is_chosen_beside_the_others_and_gap_minutes_and_plies_follow(demo_hand):
    line = demo_hand.stage(REGENT, "layers")
    demo_hand.see("From the outside in")
    assert not demo_hand.all("g[data-ply]")  # none is picked, so none is drawn
    demo_hand.click("[data-ply-row='0']")
    demo_hand.find("g[data-ply=lining]")
    demo_hand.press("take it out")
    demo_hand.wait(lambda: plies(demo_hand, line) == [("strength", "coutil"), ("fashion", "sateen")])
    before = demo_hand.sheet(line)["plan"]
    demo_hand.press("Methods side by side")
    demo_hand.see("+ lining")
    demo_hand.click("[data-method='floating lining'] button")
    demo_hand.see("3 plies")
    after = demo_hand.sheet(line)["plan"]
    assert plies(demo_hand, line)[0] == ("lining", "lawn")
    assert after["layers"]["plies"][0]["mounted"] == "floating"
    assert after["final"]["take_up_mm"] > before["final"]["take_up_mm"]
    assert after["gap_shape"]["mean_mm"] > before["gap_shape"]["mean_mm"]  # the version is cut: it closes less far
    assert sum(after["layers"]["minutes"].values()) > sum(before["layers"]["minutes"].values())
    demo_hand.see("The lining can creep")
    demo_hand.click("button[aria-label^='Undo']")
    demo_hand.see("2 plies")


def test_a_lace_in_one_piece_is_said_to_pucker_and_cut_by_panels(demo_hand):
    line = demo_hand.stage(REGENT, "layers")
    demo_hand.press("+ an overlay")
    demo_hand.click("[data-ply-row='3']")
    choose(demo_hand, "Mounted", "overlaid in one piece")
    demo_hand.see("corded lace in one piece puckers".capitalize())
    demo_hand.find("g[data-ply='overlay']")
    demo_hand.press("Cut corded lace by panels?")
    demo_hand.press("Cut corded lace by panels")
    demo_hand.gone("in one piece puckers")
    assert demo_hand.sheet(line)["build"]["layers"]["plies"][3]["mounted"] == "overlaid by panels"


def test_a_cloth_of_her_own_is_kept_and_what_cannot_be_is_said_at_it(demo_hand):
    line = demo_hand.stage(REGENT, "layers")
    demo_hand.click("[data-ply-row='2']")
    demo_hand.press("A cloth of your own …")
    demo_hand.write("What it is called", "moth damask")
    demo_hand.write("wide, cm", "2")
    demo_hand.press("Keep it, and take it")
    demo_hand.find("form[aria-label='A cloth of your own'] p.bad[role=alert]")
    assert plies(demo_hand, line)[2] == ("fashion", "sateen")
    demo_hand.write("wide, cm", "120")
    demo_hand.write("thick, mm", "0.9")
    demo_hand.press("Keep it, and take it")
    demo_hand.see("moth damask")
    demo_hand.wait(lambda: plies(demo_hand, line)[2] == ("fashion", "moth_damask"))
    kept = demo_hand.sheet(line)["build"]["catalogue"]["cloths"]["moth_damask"]
    assert (kept["width_mm"], kept["thickness_mm"], kept["mass_g_m2"]) == (1200, 0.9, 150)


def test_a_ply_lies_on_the_panels_that_are_ticked_and_on_one_at_least(demo_hand):
    line = demo_hand.stage(REGENT, "layers")
    demo_hand.press("+ an interlining")
    demo_hand.click("[data-ply-row='2']")
    boxes = demo_hand.all("fieldset input[type=checkbox]")
    assert len(boxes) == 6
    for left in range(5, 0, -1):
        demo_hand.all("fieldset input[type=checkbox]")[left].click()
        demo_hand.wait(lambda left=left: len(demo_hand.sheet(line)["plan"]["layers"]["plies"][2]["panels"]) == left)
        demo_hand.wait(
            lambda left=left: sum(box.is_selected() for box in demo_hand.all("fieldset input[type=checkbox]")) == left
        )
    demo_hand.all("fieldset input[type=checkbox]")[0].click()
    demo_hand.see("A ply lies on one panel at least")
    assert demo_hand.sheet(line)["build"]["layers"]["plies"][2]["panels"] == [1]
