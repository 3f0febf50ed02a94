"""The garment as a state: no allowed order gets stuck, and what was done too soon has a way back. Judged by replay."""

from itertools import permutations

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.base.findings import message
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.steps import Shuts, Step
from fuseau.craft.making.ways_back import resting_on, undoing, ways_back


def step(key, needs=(), reaches=(), shuts=(), again=None, **more):
    return Step(
        key=key,
        name=message("step.own", name=key),
        stage="make",
        needs=needs,
        reaches=tuple((one,) if isinstance(one, str) else one for one in reaches),
        shuts=tuple(Shuts(place=place, open_again_min=again) for place in shuts),
        **{"undo_min": 5.0, **more},
    )


def replay(steps, order):
    """Doing steps one after the other, by nothing but what each says; the place at which it fails, or None."""
    done, shut = set(), set()
    for i, key in enumerate(order):
        one = next(step for step in steps if step.key == key)
        known = {other.key for other in steps}
        if any(need in known and need not in done for need in one.needs):
            return i
        if any(all(place in shut for place in group) for group in one.reaches):
            return i
        done.add(key)
        shut |= {shuts.place for shuts in one.shuts}
    return None


BONED = (
    step("channels"),
    step("bone a", ["channels"], [("top", "hem")], through=2),
    step("bone b", ["channels"], [("top", "hem")], through=3),
    step("bind top", [], [], ["top"], again=6.0),
    step("bind hem", [], [], ["hem"], again=4.0),
    step("lace", ["bind top", "bind hem"], undo_min=0.0),
)
MINUTES = {"channels": 20.0, "bone a": 4.0, "bone b": 6.0, "bind top": 60.0, "bind hem": 60.0, "lace": 15.0}


def test_one_edge_may_be_shut_before_the_bones_but_not_both():
    garment = Garment(BONED)
    assert garment.allowed(()) == ["channels", "bind top", "bind hem"]
    done = ["bind top"]
    assert "bind hem" in garment.possible(done)
    assert garment.allowed(done) == ["channels"]
    assert set(garment.shuts_out("bind hem", done)) == {"bone a", "bone b"}
    assert garment.blocked("bone a", done).lacks == ("channels",)


def test_shut_in_the_cheaper_edge_is_opened_again_at_those_channels():
    garment = Garment(BONED)
    done = ["channels", "bind top", "bind hem", "lace"]
    assert garment.lost(done) == ["bone a", "bone b"]
    assert garment.blocked("bone a", done).shut_by == ("bind top", "bind hem")
    first, second = ways_back(garment, MINUTES, "bone b", done)
    assert first.opened == ("bind hem", "lace")
    assert first.minutes == pytest.approx(3 * 4.0 + 0.2 * 15)
    assert (second.opened, second.minutes) == (("bind top", "lace"), pytest.approx(3 * 6.0 + 3))
    assert ways_back(garment, MINUTES, "bone a", ["channels"]) == []
    assert garment.order(done) == []  # nothing but what is lost is left


def test_where_it_can_not_be_opened_it_is_undone_with_all_that_rests_on_it():
    steps = (step("gusset", [], ["panel"]), step("join", [], [], ["panel"]), step("bind", ["join"]), step("holes", []))
    garment, minutes = Garment(steps), dict.fromkeys(("gusset", "join", "bind", "holes"), 10.0)
    (way,) = ways_back(garment, minutes, "gusset", ["join", "bind", "holes"])
    assert (way.opened, way.undone, way.minutes) == ((), ("bind", "join"), 30.0)
    assert resting_on(garment, "join", ["join", "bind"]) == ["bind"]
    for_good = Garment((steps[0], step("join", [], [], ["panel"], undo_min=None)))
    assert undoing(for_good, minutes, "join", ["join"]) == (("join",), None)
    assert ways_back(for_good, minutes, "gusset", ["join"]) == []


def test_a_choice_that_only_leads_to_a_trap_is_not_allowed():
    # a needs either place; b shuts one; c shuts the other and needs b: so a comes before c, whatever else
    steps = (step("a", ["d"], [("p", "q")]), step("b", [], [], ["p"]), step("c", ["b"], [], ["q"]), step("d", ["c"]))
    garment = Garment(steps)
    assert not garment.can_be_finished(())
    assert garment.lost(()) == []
    mended = Garment((step("a", [], [("p", "q")]), *steps[1:]))
    assert mended.can_be_finished(())
    assert "c" not in mended.allowed(["b"])


names = ["a", "b", "c", "d", "e", "f"]


@st.composite
def garments(draw):
    steps = []
    for i, name in enumerate(names[: draw(st.integers(2, 6))]):
        needs = draw(st.lists(st.sampled_from(names[:i]), max_size=2, unique=True)) if i else []
        reaches = draw(st.lists(st.lists(st.sampled_from("xyz"), min_size=1, max_size=2, unique=True), max_size=2))
        shuts = draw(st.lists(st.sampled_from("xyz"), max_size=2, unique=True))
        again = draw(st.sampled_from([None, 3.0]))
        steps.append(step(name, needs, [tuple(group) for group in reaches], shuts, again))
    return tuple(steps)


@settings(max_examples=150)
@given(garments(), st.randoms(use_true_random=False))
def test_what_is_allowed_is_what_some_order_of_all_can_begin_with(steps, chance):
    garment, keys = Garment(steps), [one.key for one in steps]
    good = [order for order in permutations(keys) if replay(steps, order) is None]
    assert garment.can_be_finished(()) == bool(good)
    if not good:
        return
    done = []
    while len(done) < len(keys):
        allowed = garment.allowed(done)
        assert set(allowed) == {order[len(done)] for order in good if list(order[: len(done)]) == done}
        done.append(chance.choice(allowed))
    wished = chance.sample(keys, len(keys))
    order = garment.order((), wished)
    assert replay(steps, order) is None
    assert sorted(order) == sorted(keys)
    if replay(steps, wished) is None:
        assert order == wished


@settings(max_examples=150)
@given(garments(), st.randoms(use_true_random=False))
def test_whatever_is_done_the_rest_that_is_not_lost_is_ordered_and_ways_back_open_what_is_shut(steps, chance):
    garment, minutes = Garment(steps), dict.fromkeys(names, 10.0)
    done = []
    for _ in range(chance.randint(0, len(steps))):
        possible = garment.possible(done)
        if not possible:
            break
        done.append(chance.choice(possible))
    lost = set(garment.lost(done))
    order = garment.order(done)
    assert replay(steps, [*done, *order]) is None
    assert not lost & set(order)
    if garment.without(lost).can_be_finished(done):
        assert {*order, *lost, *done} == {one.key for one in steps}
    for one in steps:
        if one.key not in done and garment.shut_groups(one, done):
            for way in ways_back(garment, minutes, one.key, done):
                assert way.minutes > 0
                assert set(way.opened) | set(way.undone) <= set(done)
                left = [key for key in done if key not in way.undone and key not in way.opened]
                assert not garment.shut_groups(one, left)
