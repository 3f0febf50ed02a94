"""Plies from the skin out: what they go round, carry, weigh and take, and how they are made up (model, section 10)."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import ValidationError

from fuseau.craft.base.practice import Practice
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.craft.materials.stack import Stack, take_up
from fuseau.craft.pattern.trueing import LaidPanel
from fuseau.craft.plies.layers import Layers, Ply
from fuseau.craft.plies.methods import METHODS, Counted, mounted, work
from fuseau.craft.plies.overlay import gaping, lies, overlay, strain
from fuseau.craft.plies.reckoning import at_hole, at_seam, cut_growth, growth, lying, middles, shares, tape_share
from fuseau.wording.faults import faults

PRACTICE = Practice()
NAMES = sorted(CLOTHS)


def layers(*plies, **more):
    return Layers.model_validate(
        {"plies": [{"role": role, "cloth": cloth, **rest} for role, cloth, rest in plies], **more}
    )


def panel(number, cf, cb):
    """A panel through (x, z) points of its edges, from hem to top."""
    outline = (*cf, *cb[::-1])
    waist = (next(p for p in cf if p[1] == 0), next(p for p in cb if p[1] == 0))
    return LaidPanel(
        number=number,
        outline=outline,
        cf_edge=cf,
        cb_edge=cb,
        top=(cf[-1], cb[-1]),
        hem=(cf[0], cb[0]),
        waist=waist,
        grain=waist,
        widths_mm={},
        cf_notches=(),
        cb_notches=(),
    )


# --- round the body


def test_sateen_over_coutil_goes_3_mm_further_round_which_is_cut_at_the_side_seams():
    plies = Layers()
    thick = [CLOTHS[ply.cloth].thickness_mm for ply in plies.plies]
    whole = growth(middles(thick, plies.carrying)[2])
    assert whole == pytest.approx(2.83, abs=0.01)
    edges = [(3, 2), (2, 2), (4, 2), (1, 2), (5, 2), (0, 1), (6, 1)]
    assert cut_growth(whole / 2, edges, PRACTICE.growth_matters_mm) == (pytest.approx(0.71, abs=0.01), (3,))


@given(st.floats(-60, 60), st.integers(2, 9), st.floats(0.1, 5))
def test_what_edges_grow_by_is_what_a_ply_goes_further_round_and_shears_can_cut_it(half, panels, least):
    edges = [*((seam, 2) for seam in range(1, panels)), (0, 1), (panels, 1)]
    each, at = cut_growth(half, edges, least)
    there = dict(edges)
    assert bool(at) == (abs(half) >= 2 * least * (1 - 1e-9))
    if at:
        assert each * sum(there[seam] for seam in at) == pytest.approx(half)
        assert abs(each) >= least * (1 - 1e-6)


@given(st.lists(st.floats(0.05, 4), min_size=1, max_size=8), st.data())
def test_how_much_further_round_a_ply_goes_is_two_circles_one_around_the_other(thick, data):
    carrying = data.draw(st.integers(0, len(thick) - 1))
    off = middles(thick, carrying)
    assert off[carrying] == 0
    for i, distance in enumerate(off):
        assert growth(distance) == pytest.approx(2 * math.pi * (100 + distance) - 2 * math.pi * 100)
        assert (growth(distance) > 0) == (i > carrying)


def test_the_usual_plies_take_up_what_the_model_says():
    stack = Layers().stack(6, CLOTHS)
    assert stack == Stack()
    assert take_up(stack, 10, PRACTICE) == pytest.approx(7.9, abs=0.05)


@given(st.sampled_from(NAMES), st.integers(1, 6))
def test_a_ply_on_some_panels_takes_its_share_of_the_room(cloth, count):
    whole = layers(("interlining", cloth, {}), ("strength", "coutil", {}))
    some = layers(("interlining", cloth, {"panels": list(range(1, count + 1))}), ("strength", "coutil", {}))
    assert some.stack(6, CLOTHS).lining_mm == pytest.approx(whole.stack(6, CLOTHS).lining_mm * count / 6)


def test_a_cloth_as_she_measured_it_counts_as_she_measured_it():
    mine = layers(("strength", "coutil", {"thickness_mm": "0.7 mm"})).stack(6, CLOTHS)
    assert (mine.strength, mine.strength_mm) == ("coutil", 0.7)
    assert mine.stretch_per_n == Stack().stretch_per_n
    assert layers(("strength", "coutil", {"thickness_mm": 0.55})).stack(6, CLOTHS).own is None


# --- what carries


@given(st.lists(st.tuples(st.floats(0.1, 500), st.booleans()), min_size=1, max_size=8))
def test_what_is_sewn_as_one_carries_the_whole_pull_and_what_hangs_loose_nothing(plies):
    stiff, together = zip(*plies, strict=True)
    part = shares(stiff, together)
    assert sum(part) == pytest.approx(1.0 if any(together) else 0.0)
    assert all(share == 0 for share, sewn in zip(part, together, strict=True) if not sewn)


def test_a_waist_tape_takes_most_of_the_pull_from_calico_and_less_from_coutil():
    calico, coutil = (tape_share(CLOTHS[name].stiffness_kn_per_m, PRACTICE) for name in ("calico", "coutil"))
    assert coutil == pytest.approx(12 / 18)
    assert calico > coutil


# --- an overlay in one piece


def test_two_panels_that_gape_11_mm_ask_7_percent_of_a_lace_that_gives_4():
    one = panel(1, ((0, -60), (0, 0), (0, 120)), ((75, -60), (75, 0), (69.5, 120)))
    other = panel(2, ((0, -60), (0, 0), (5.5, 120)), ((80.5, -60), (80.5, 0), (86, 120)))
    z, opening = gaping(one, other)
    assert (z[-1], opening[-1]) == (120, pytest.approx(11))
    assert opening[0] == pytest.approx(0)
    found = overlay((one, other), (1, 2), {}, CLOTHS["lace"], "along", PRACTICE)
    (seam,) = found.seams
    # independently: what the two panels are wide together there
    assert seam.share == pytest.approx(11 / (69.5 + 80.5))
    assert seam.share == pytest.approx(strain(11, 150)) == pytest.approx(0.0733, abs=1e-4)
    assert (found.gives, found.lies) == (0.04, "puckers")
    assert overlay((one, other), (1, 2), {}, CLOTHS["stretch_lace"], "along", PRACTICE).lies == "smooth"


def test_channels_that_hold_it_leave_an_overlay_less_to_give_in():
    one = panel(1, ((0, -60), (0, 0), (0, 120)), ((75, -60), (75, 0), (69.5, 120)))
    other = panel(2, ((0, -60), (0, 0), (5.5, 120)), ((80.5, -60), (80.5, 0), (86, 120)))
    free = overlay((one, other), (1, 2), {}, CLOTHS["lace"], "along", PRACTICE).seams[0]
    held = overlay((one, other), (1, 2), {1: [0.5], 2: [0.3, 0.6]}, CLOTHS["lace"], "along", PRACTICE).seams[0]
    assert held.over_mm == pytest.approx(0.5 * 69.5 + 0.3 * 80.5)
    assert held.share > free.share
    # panels that do not lie side by side have no seam between them
    assert overlay((one, other), (1,), {}, CLOTHS["lace"], "along", PRACTICE).seams == ()


@given(st.floats(0, 0.2), st.floats(0, 0.2))
def test_more_strain_never_lies_better(needed, gives):
    order = ["smooth", "eased", "puckers"]
    assert order.index(lies(needed + 0.01, gives, PRACTICE)) >= order.index(lies(needed, gives, PRACTICE))


# --- how it is made up


def test_there_are_more_than_the_seven_schools_and_each_hides_or_shows_something():
    assert len(METHODS) >= 7
    assert {method.seam for method in METHODS.values()} == {"opened", "turned", "lapped"}
    assert (
        len({(one.hides_inside, one.hides_outside, one.channels, one.seam, one.edges) for one in METHODS.values()}) > 6
    )


@pytest.mark.parametrize("method", sorted(METHODS))
def test_a_ply_more_takes_longer_gets_thicker_and_no_method_loses_one(method):
    counted = Counted(panels=6, curved=False, channels=("between plies",) * 20, edges_mm=1400)
    plain = layers(("strength", "coutil", {}), ("fashion", "sateen", {}))
    more = layers(("lining", "lawn", {}), ("strength", "coutil", {}), ("fashion", "sateen", {}))
    by = METHODS[method]
    assert sum(work(more, CLOTHS, counted, by).values()) > sum(work(plain, CLOTHS, counted, by).values())
    assert at_seam(more, CLOTHS, PRACTICE, by).mm >= at_seam(plain, CLOTHS, PRACTICE, by).mm
    assert at_hole(more, CLOTHS, 4.0, 6, by).mm > at_hole(plain, CLOTHS, 4.0, 6, by).mm
    assert len(mounted(more, CLOTHS, by)) == len(lying(more, CLOTHS, by)) == 3
    assert [ply.role for ply in lying(more, CLOTHS, by)] == ["fashion", "strength", "lining"]


def test_a_lapped_seam_is_four_times_its_plies_and_a_floating_lining_is_in_none():
    lapped = at_seam(Layers(), CLOTHS, PRACTICE, METHODS["lapped and topstitched"])
    assert (lapped.plies, lapped.mm) == (12, pytest.approx(4 * 1.15))
    floating = at_seam(Layers(), CLOTHS, PRACTICE, METHODS["floating lining"], tape_mm=0.5)
    assert (floating.plies, floating.mm) == (5, pytest.approx(2 * 0.9 + 0.5))


def test_bound_edges_take_by_their_length_and_turned_ones_do_not():
    short, long = (Counted(panels=5, curved=True, channels=(), edges_mm=mm) for mm in (1000, 2000))
    bound, turned = METHODS["floating lining"], METHODS["bagged out"]
    extra = [sum(work(Layers(), CLOTHS, one, bound).values()) for one in (short, long)]
    assert extra[1] - extra[0] == pytest.approx(10 * (2 + 8))
    assert work(Layers(), CLOTHS, short, turned) == work(Layers(), CLOTHS, long, turned)


# --- what cannot be


@pytest.mark.parametrize(
    ("plies", "at", "reason"),
    [
        ([("lining", "lawn", {})], "plies", "carries the pull"),
        ([("strength", "coutil", {}), ("strength", "canvas", {})], "plies.1.role", "Two strength plies"),
        ([("strength", "coutil", {"panels": [1, 2]})], "plies.0.panels", "goes all round"),
        ([("strength", "coutil", {}), ("fashion", "sateen", {"panels": []})], "plies.1.panels", "Over which panels"),
        ([("strength", "coutil", {}), ("fashion", "sateen", {"thickness_mm": 0})], "plies.1.thickness_mm", ""),
        ([("fashion", "sateen", {}), ("strength", "coutil", {})], "plies.1.role", "does not lie outside a fashion"),
        ([("strength", "coutil", {}), ("lining", "lawn", {})], "plies.1.role", "does not lie outside a strength"),
        (
            [("lining", "lawn", {"mounted": "overlaid in one piece"}), ("strength", "coutil", {})],
            "plies.0.mounted",
            "outside the strength ply",
        ),
    ],
)
def test_plies_that_cannot_be_are_refused_at_their_field(plies, at, reason):
    with pytest.raises(ValidationError) as caught:
        layers(*plies)
    (fault,) = faults(caught.value)
    assert fault.at == at
    assert reason in fault.sentence


@given(st.sampled_from(NAMES), st.sampled_from(["along", "across", "bias"]))
def test_every_cloth_of_the_catalogue_can_be_cut_and_is_what_it_says(name, grain):
    cloth = CLOTHS[name]
    assert cloth.name == name
    assert 0 < cloth.gives(grain) < 1
    assert cloth.usable_mm > 500
    assert 0 < cloth.usually_more < cloth.stretches_more
    assert cloth.gives("bias") >= min(cloth.gives("along"), cloth.gives("across"))
    if cloth.fuses_c:
        assert "interlining" in cloth.suits
        assert Ply(role="interlining", cloth=name).mounted is None


def test_at_a_hole_there_is_what_lies_on_its_panel():
    front = layers(("strength", "coutil", {}), ("interlining", "canvas", {"panels": [1, 2]}), ("fashion", "sateen", {}))
    assert at_hole(front, CLOTHS, 4.0, 6).mm == pytest.approx(2 * (0.55 + 0.35))
    assert at_hole(front, CLOTHS, 4.0, 2).mm == pytest.approx(2 * (0.55 + 0.6 + 0.35))
