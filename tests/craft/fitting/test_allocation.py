"""Where a change of girth goes: sums, caps, and the way back (model, section 5)."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.target import Target
from fuseau.craft.fitting.allocation import Programme, place, solve
from fuseau.craft.pattern.alterations import LineEdit, alter, edited, lines
from tests.craft.fit.test_fit import BODY, planned
from tests.craft.pattern.undone import inverse

PRACTICE = Practice()
_, PATTERN = planned(Target())
HEIGHTS = np.array([level.side_mm for level in BODY])
GIRTHS = PATTERN.shape.sewn_girth(HEIGHTS)
CHANGES = st.lists(st.floats(-60, 60), min_size=5, max_size=5)


def by_seam(placed):
    return np.array([np.array(one.cf_side_mm) + np.array(one.cb_side_mm) for one in placed.alteration.seams])


@settings(max_examples=25)
@given(CHANGES)
def test_amounts_add_up_to_the_wanted_change_at_every_level(changes):
    placed = place(PATTERN, BODY, GIRTHS + changes, 50, PRACTICE)
    following = alter(PATTERN, placed.alteration)
    wanted = np.array(changes) - 2 * placed.left_mm
    assert following.shape.sewn_girth(HEIGHTS) - GIRTHS == pytest.approx(wanted, abs=1e-4)


@settings(max_examples=25)
@given(CHANGES)
def test_the_inverse_brings_the_pattern_back_to_a_tenth_of_a_millimetre(changes):
    placed = place(PATTERN, BODY, GIRTHS + changes, 50, PRACTICE)
    back = alter(alter(PATTERN, placed.alteration), inverse(placed.alteration, PATTERN))
    assert np.abs(np.array(back.shape.edges) - np.array(PATTERN.shape.edges)).max() < 0.1


@settings(max_examples=25)
@given(st.lists(st.floats(-250, 250), min_size=5, max_size=5))
def test_no_seam_moves_further_than_its_cap_and_what_is_left_is_told(changes):
    placed = place(PATTERN, BODY, GIRTHS + changes, 50, PRACTICE)
    low, high = min(PATTERN.hem.heights()) - 5, max(PATTERN.top.heights()) + 5
    inside = (PATTERN.shape.nominal >= low) & (PATTERN.shape.nominal <= high)
    amounts = by_seam(placed)[:, inside]
    assert np.abs(amounts).max() <= PRACTICE.seam_cap_mm + 0.05
    most = PRACTICE.seam_cap_mm * len(placed.alteration.seams)
    for change, left in zip(np.array(changes)[inside], placed.left_mm[inside], strict=True):
        assert (abs(left) > 0.01) == (abs(change) / 2 > most + 0.01)


def test_cf_and_cb_stay_and_nothing_wanted_is_nothing_done():
    placed = place(PATTERN, BODY, GIRTHS, 50, PRACTICE)
    assert np.abs(by_seam(placed)).max() < 0.3  # front and back as drafted, but for rounding of the shares
    moved = alter(PATTERN, place(PATTERN, BODY, GIRTHS + 20, 50, PRACTICE).alteration)
    assert moved.panels[0].cf_edge_mm == PATTERN.panels[0].cf_edge_mm
    assert moved.panels[-1].cb_edge_mm == PATTERN.panels[-1].cb_edge_mm


def test_a_line_by_hand_takes_the_place_of_what_was_worked_out():
    placed = place(PATTERN, BODY, GIRTHS + 24, 50, PRACTICE).alteration
    mine = (LineEdit(version=1, seam=3, level="waist", cf_side_mm=0, cb_side_mm=0),)
    made = edited(PATTERN, placed, mine)
    waist = PATTERN.stations_named()["waist"]
    assert made.seams[2].cf_side_mm[waist] == made.seams[2].cb_side_mm[waist] == 0
    shown = {(one.seam, one.level): one for one in lines(PATTERN, placed, made, mine)}
    refused = shown[3, "waist"]
    assert refused.by_hand
    assert refused.worked_out_cf_mm > 1
    assert not shown[3, "ribs"].by_hand
    elsewhere = (LineEdit(version=1, seam=8, level="waist", cf_side_mm=3, cb_side_mm=3),)
    assert edited(PATTERN, placed, elsewhere) == placed


# --- the quadratic programme


@st.composite
def programmes(draw) -> Programme:
    """Some amounts in two rows of three pairs, with a cap that often binds."""
    seed = draw(st.integers(0, 10_000))
    chance = np.random.default_rng(seed)
    root = chance.normal(size=(12, 12))
    pairs = np.kron(np.eye(6), np.ones(2))
    caps = np.full(6, draw(st.floats(1, 8)))
    wanted = np.clip(chance.normal(0, 9, 2), -2.9 * caps[0], 2.9 * caps[0])
    return Programme(
        quadratic=root @ root.T + 0.3 * np.eye(12),
        linear=chance.normal(0, 6, 12),
        sums=np.kron(np.eye(2), np.ones(6)),
        wanted=wanted,
        pairs=pairs,
        caps=caps,
        out=caps,
    )


def never_letting_go(programme: Programme) -> np.ndarray | None:
    """An active set that holds every seam that ever passed its cap for good; None where it finds nothing feasible."""
    held: dict[int, float] = {}
    count = len(programme.linear)
    for _ in range(30):
        fixed = np.vstack([programme.sums, *(programme.pairs[[k]] for k in held)])
        right = np.concatenate([programme.linear, programme.wanted, list(held.values())])
        system = np.block([[programme.quadratic, fixed.T], [fixed, np.zeros((len(fixed), len(fixed)))]])
        try:
            found = np.linalg.solve(system, right)[:count]
        except np.linalg.LinAlgError:
            return None
        over = [k for k in np.flatnonzero(np.abs(programme.pairs @ found) > programme.caps + 1e-6) if k not in held]
        if not over:
            return found if np.allclose(programme.sums @ found, programme.wanted) else None
        held.update({int(k): float(np.sign((programme.pairs @ found)[k]) * programme.caps[k]) for k in over})
    return None


@settings(max_examples=120)
@given(programmes())
def test_the_programme_is_solved_no_worse_than_by_holding_caps_for_good(programme):
    found = solve(programme)
    assert programme.sums @ found == pytest.approx(programme.wanted, abs=1e-6)
    assert (np.abs(programme.pairs @ found) <= programme.caps + 1e-6).all()
    other = never_letting_go(programme)
    if other is not None and (np.abs(programme.pairs @ other) <= programme.caps + 1e-6).all():
        assert programme.cost(found) <= programme.cost(other) + 1e-6


def test_a_cap_is_let_go_again_where_that_costs_less():
    better = 0
    for seed in range(200):
        chance = np.random.default_rng(seed)
        root = chance.normal(size=(12, 12))
        programme = Programme(
            quadratic=root @ root.T + 0.3 * np.eye(12),
            linear=chance.normal(0, 6, 12),
            sums=np.kron(np.eye(2), np.ones(6)),
            wanted=np.array([2.0, -3.0]),
            pairs=np.kron(np.eye(6), np.ones(2)),
            caps=np.full(6, 2.0),
            out=np.full(6, 2.0),
        )
        other = never_letting_go(programme)
        if other is not None and (np.abs(programme.pairs @ other) <= programme.caps + 1e-6).all():
            better += programme.cost(solve(programme)) < programme.cost(other) - 1e-3
    assert better > 10  # holding for good is often worse
