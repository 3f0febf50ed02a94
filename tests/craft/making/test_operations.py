"""The steps of a garment: whatever it is made of, every order that is allowed reaches the end (model, 13)."""

from dataclasses import replace
from functools import cache

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.closures.busk import choose_busk
from fuseau.craft.closures.choices import FrontChoices
from fuseau.craft.closures.front import plan_opening
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.operations import operations
from fuseau.craft.making.rates import rates, takes
from fuseau.craft.making.ways_back import undoing, ways_back
from fuseau.craft.materials.catalogue import BUSKS, GROMMETS
from fuseau.craft.pattern.pattern import Dart, Gusset
from fuseau.craft.plies.methods import METHODS
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.planning.stages.make import made_up
from tests.craft.making.test_garment_state import replay
from tests.kinds import ALL_KINDS, built
from tests.plans import plan

CHANNELS = ("between plies", "in the allowances", "inside tape", "outside tape")
OPENINGS = ("busk", "zip", "hidden zip", "hooks", "lacing", "none")


@cache
def made(kind="underbust corset"):
    build = built(kind)
    return made_up(build, plan(build))


def opening(kind, line, panels, half="right"):
    practice = built("underbust corset").practice
    choices = FrontChoices(opening=kind, line="CF" if kind in ("busk", "lacing") else line, half=half)
    busk = choose_busk(160.0, -120.0, choices, practice, tops_mm=(160.0, 160.0), sold=BUSKS)
    seam = {"CF": 0, "CB": panels}.get(line, 2)
    return plan_opening(choices, seam, (-120.0, 160.0), busk, practice)


@st.composite
def garments(draw):
    base = made(draw(st.sampled_from(ALL_KINDS)))
    laced = draw(st.booleans())
    line = draw(st.sampled_from(["CF", "2·3", "side"] + ([] if laced else ["CB"])))
    opens = opening(
        draw(st.sampled_from(OPENINGS)), line, base.panels, draw(st.sampled_from(["right", "left", "both"]))
    )
    method = METHODS[draw(st.sampled_from(sorted(METHODS)))]
    plies = []
    for ply in base.plies:
        ways = ["fused", "flat-lined", "floating", "bagged", "overlaid by panels", "overlaid in one piece"]
        mounted = "flat-lined" if ply.role == "strength" else draw(st.sampled_from(ways))
        over = ply.panels if ply.role == "strength" or draw(st.booleans()) else ply.panels[:1]
        plies.append(ply.model_copy(update={"mounted": mounted, "panels": over}))
    ways = st.sampled_from(CHANNELS)
    bones = tuple(bone.model_copy(update={"made": draw(ways)}) for bone in base.bones if draw(st.booleans()))
    gussets = draw(
        st.lists(
            st.sampled_from(
                [
                    Gusset(seam=1, end="top", width_mm=30, depth_mm=80, tip_mm=40),
                    Gusset(panel=2, end="hem", width_mm=30, depth_mm=80, tip_mm=-40),
                ]
            ),
            max_size=2,
        )
    )
    darts = draw(
        st.lists(st.just(Dart(panel=1, across=0.5, width_mm=20, low_mm=20, widest_mm=60, high_mm=100)), max_size=2)
    )
    return replace(
        base,
        method=method,
        plies=tuple(plies),
        bones=bones,
        left_bones=bones[::2] if draw(st.booleans()) else bones,
        opening=opens if draw(st.booleans()) else None,
        laced=laced,
        hole=GROMMETS[draw(st.sampled_from(sorted(GROMMETS)))],
        modesty=base.modesty if laced else None,
        taped=draw(st.booleans()),
        gussets=tuple(gussets),
        darts=tuple(darts),
        cups=draw(st.booleans()),
        shoulders=draw(st.booleans()),
        binding=draw(st.sampled_from(["by hand", "by machine"])),
        mock_ups=draw(st.integers(0, 2)),
        to_fit=draw(st.booleans()),
    )


@settings(max_examples=120)
@given(garments(), st.randoms(use_true_random=False))
def test_every_order_that_is_allowed_reaches_the_end(made, chance):
    steps = operations(made)
    keys = [step.key for step in steps]
    assert len(set(keys)) == len(keys)
    assert {need for step in steps for need in step.needs} <= set(keys)
    garment = Garment(steps)
    usual = garment.order(())
    assert sorted(usual) == sorted(keys)
    assert replay(steps, usual) is None
    left_out = {step.key for step in steps if step.optional and chance.random() < 0.5}
    garment, done = garment.without(left_out), []
    while ready := garment.allowed(done):
        done.append(chance.choice(ready))
    assert replay(garment.steps, done) is None
    assert set(done) == set(keys) - left_out


@settings(max_examples=40)
@given(garments(), st.randoms(use_true_random=False))
def test_whoever_does_whatever_hands_can_do_is_told_before_and_finds_a_way_back_or_is_told_there_is_none(made, chance):
    steps = operations(made)
    garment, known = Garment(steps), rates(())
    minutes = {step.key: takes(step, known).minutes for step in steps}
    done = []
    while possible := garment.possible(done):
        key = chance.choice(possible)
        warned = set(garment.shuts_out(key, done))
        before = set(garment.lost(done))
        done.append(key)
        directly = {one for one in garment.lost(done) if garment.shut_groups(garment.step(one), done)}
        assert directly - before <= warned
    for one in garment.lost(done):
        step = garment.step(one)
        if garment.shut_groups(step, done):
            ways = ways_back(garment, minutes, one, done)
            final = any(
                undoing(garment, minutes, closer, done)[1] is None for closer in garment.blocked(one, done).shut_by
            )
            assert ways or final, one


GUSSET = Gusset(panel=2, end="hem", width_mm=30, depth_mm=80, tip_mm=-40)
FLOATING = {"lining": "floating"}


def mounted(base, **how):
    plies = tuple(ply.model_copy(update={"mounted": how.get(ply.role, ply.mounted)}) for ply in base.plies)
    return replace(base, plies=plies)


WISHED = {
    ("waist tape", "lining in"): ["sew 1 lawn", "lining in", "channels 1"],
    ("bones in 4", "bind hem"): ["bind top", "bind hem"],
}


@pytest.mark.parametrize(
    ("forgotten", "too_early", "change"),
    [
        ("front", "join 1-2", {}),
        ("gusset 1", "join 1-2", {"gussets": (GUSSET,)}),
        ("waist tape", "channels 1", {}),
        ("waist tape", "lining in", {"floating": True}),
        ("bones in 4", "bind hem", {}),
        ("try on", "holes", {}),
        ("channels 2", "overlay 3 sateen", {"overlaid": True}),
        (
            "dart 1",
            "join 1-2",
            {"darts": (Dart(panel=1, across=0.5, width_mm=20, low_mm=0, widest_mm=50, high_mm=90),)},
        ),
        ("cups", "bind top", {"cups": True}),
        ("front", "lining in", {"floating": True, "zip": True}),
    ],
)
def test_the_mishaps_of_the_trade_are_told_before_and_mended_after(forgotten, too_early, change):
    base = made()
    if change.pop("floating", False):
        base = replace(mounted(base, lining="floating"), method=METHODS["floating lining"])
    if change.pop("overlaid", False):
        base = replace(mounted(base, fashion="overlaid by panels"), method=METHODS["base with an overlay"])
    if change.pop("zip", False):
        base = replace(base, opening=opening("zip", "2·3", base.panels))
    steps = operations(replace(base, **change))
    forgetful = tuple(
        step.model_copy(update={"needs": tuple(need for need in step.needs if need != forgotten)}) for step in steps
    )
    garment = Garment(forgetful)
    minutes = {step.key: takes(step, rates(())).minutes for step in steps}
    order = garment.without([forgotten]).order((), wished=WISHED.get((forgotten, too_early), [too_early]))
    before = order[: order.index(too_early)]
    assert forgotten not in garment.lost(before)
    warned = garment.shuts_out(too_early, before)
    ways = ways_back(garment, minutes, forgotten, [*before, too_early])
    assert forgotten in warned
    if forgotten == "try on":
        assert ways == []  # holes stay where they are: the gap can't be moved any more
        return
    assert ways
    assert 0 < ways[0].minutes < sum(minutes.values())
    assert [way.minutes for way in ways] == sorted(way.minutes for way in ways)


def test_a_neck_corset_and_every_kind_has_its_steps_from_cloth_to_lace():
    for kind in ALL_KINDS:
        steps = operations(made(kind))
        keys = {step.key for step in steps}
        assert "mark" in keys
        assert any(key.startswith("bind ") for key in keys)
        if not GARMENT_KINDS[kind].tied:
            assert {"mock-up 1", "fitting 1", "waist tape", "lace"} <= keys
        assert all(step.name.code for step in steps)


@pytest.mark.parametrize("binding", ["by hand", "by machine"])
@pytest.mark.parametrize("name", sorted(METHODS))
def test_the_layers_page_and_the_steps_reckon_the_same_minutes(name, binding):
    build = built("underbust corset", layers__method=name, make__binding=binding)
    planned = plan(build)
    told = planned.layers.minutes
    found: dict[str, float] = {}
    for step in operations(made_up(build, planned)):
        if step.key not in ("front", "face back"):
            for work, times in step.works:
                found[work] = found.get(work, 0.0) + times * rates(())[work].minutes
    for work, minutes in told.items():
        assert found[work] == pytest.approx(minutes), work


@pytest.mark.parametrize(
    "fields",
    [
        {},
        {"front__opening": "lacing"},
        {"front__opening": "hidden zip", "front__line": "side"},
        {"front__opening": "hooks", "front__line": "CF"},
        {"back__holes": "worked_4"},
        {"back__holes": "tape_loop"},
        {"bones__ends": "dip"},
    ],
)
def test_bones_front_and_back_say_the_same_minutes_as_their_steps(fields):
    build = built("underbust corset", **fields)
    planned = plan(build)
    known = rates(())
    took = {step.key: takes(step, known).minutes for step in operations(made_up(build, planned))}
    assert took["front"] == pytest.approx(planned.opening.minutes)
    holes = took["holes"] + took.get("front holes", 0.0)
    assert holes == pytest.approx(planned.holes.minutes)
    assert ("front holes" in took) == (build.front.opening == "lacing")
    cut = sum(minutes for key, minutes in took.items() if key.startswith("cut bones "))
    assert cut == pytest.approx(planned.boning.minutes)


def test_what_has_to_set_overnight_comes_before_the_seams():
    build = built("underbust corset", bones__ends="dip")
    steps = operations(made_up(build, plan(build)))
    keys = [step.key for step in steps]
    waiting = [step for step in steps if step.key.startswith("cut bones ") and step.waits_h]
    assert {step.key for step in waiting} >= {"cut bones flat-12", "cut bones spiral-6"}
    assert all(keys.index(step.key) < keys.index("join 1-2") for step in waiting)
    assert next(step for step in waiting if "flat-12" in step.key).waits_h == 24 * build.practice.dip_coats


def test_a_mock_up_takes_as_long_as_it_has_panels():
    def minutes(panels):
        steps = operations(replace(made(), panels=panels, mock_ups=1))
        return next(takes(step, rates(())).minutes for step in steps if step.key == "mock-up 1")

    assert [minutes(panels) for panels in (3, 4, 6, 8, 9)] == [150, 150, 225, 300, 300]
