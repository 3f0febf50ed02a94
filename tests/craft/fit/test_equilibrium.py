"""The equilibrium of lace, edges and body (model, section 3)."""

import dataclasses
import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.craft.fit import equilibrium
from fuseau.craft.fit.equilibrium import Hold, Holds, _solve_banded, settle, settle_many
from fuseau.craft.wearer.compression import tension_at

LEVELS = np.array([-160.0, -80, 0, 80, 140, 200])


def example(edge: float, points: int = 73) -> Hold:
    z = np.linspace(-160, 200, points)

    def along(values):
        return np.interp(z, LEVELS, values)

    return Hold(
        z_mm=z,
        natural_mm=along([960, 880, 700, 770, 840, 880]),
        give=along([0.05, 0.06, 0.13, 0.06, 0.04, 0.06]),
        sewn_mm=along([902.2, 815.7, 594.9, 709.8, 790.2, 826.2]),
        take_up_mm=8,
        pull_n_per_m=150,
        edge_n_m2=edge,
    )


@pytest.mark.parametrize(
    ("edge", "gaps", "pressures"),
    [
        (50, [54.8, 52.5, 50.1, 47.7, 45.8, 43.9], [0.52, 0.94, 2.36, 1.18, 0.89, 0.83]),
        (0.35, [48.8, 52.8, 54.2, 49.8, 44.5, 39.1], [0.88, 0.92, 2.09, 1.02, 1.01, 1.12]),
    ],
)
def test_settles_as_in_the_example(edge, gaps, pressures):
    found = settle(example(edge))
    assert np.interp(LEVELS, found.z, found.gap_mm) == pytest.approx(gaps, abs=0.3)
    assert np.interp(LEVELS, found.z, found.pressure_kpa) == pytest.approx(pressures, abs=0.02)


def test_a_finer_grid_gives_the_same():
    coarse, fine = settle(example(50)), settle(example(50, points=361))
    assert coarse.gap_mm == pytest.approx(fine.gap_mm[::5], abs=0.1)


holds = st.builds(
    lambda edge, pull, bigger, give, bumps: dataclasses.replace(
        example(edge),
        pull_n_per_m=pull,
        sewn_mm=example(edge).sewn_mm + bigger,
        give=example(edge).give * give,
        natural_mm=example(edge).natural_mm + np.interp(example(edge).z_mm, LEVELS, bumps),
    ),
    edge=st.sampled_from([0.02, 0.35, 5.8, 57.6]),
    pull=st.floats(20, 300),
    bigger=st.floats(-80, 120),
    give=st.floats(0.6, 1.5),
    bumps=st.lists(st.floats(-25, 25), min_size=6, max_size=6),
)


@settings(max_examples=60)
@given(holds)
def test_the_bodys_tension_adds_up_to_the_pull_where_nothing_touches(hold):
    found = settle(hold)
    assert (found.gap_mm >= 0).all()
    body = float(np.trapezoid(found.tension_n_per_m, found.z)) / 1000
    lace = hold.pull_n_per_m * float(np.ptp(found.z)) / 1000
    if found.touching.any():
        assert body <= lace + 1e-3
    else:
        assert body == pytest.approx(lace, rel=1e-4)
        arm = found.z - found.z.mean()
        moment = np.trapezoid(arm * (found.tension_n_per_m - hold.pull_n_per_m), found.z) / 1e6
        # the trapezoid rule's weights balance the moment of the discrete forces, not of the integral
        assert abs(moment) < 0.02 * lace


@settings(max_examples=25)
@given(holds, st.integers(0, 72))
def test_derivatives_are_those_of_settling_anew(hold, where):
    found = settle(hold)
    # where the body just begins to press it turns a corner, and a step goes round it
    corner = (np.abs(found.hoop_mm - hold.natural_mm) < 0.5).any()
    if found.touching.any() or corner:
        return
    bump = np.exp(-(((np.arange(73) - where) / 8.0) ** 2)) * 0.05
    moved = settle(dataclasses.replace(hold, natural_mm=hold.natural_mm + bump))
    *_, by_natural = tension_at(hold.natural_mm, hold.give, found.hoop_mm, hold.pressure_scale_kpa)
    foretold = found.gap_by_force((by_natural * bump)[:, None])[:, 0]
    assert moved.gap_mm - found.gap_mm == pytest.approx(foretold, rel=0.06, abs=4e-3)


def test_a_garment_too_big_closes_and_says_by_how_much():
    hold = dataclasses.replace(example(20), sewn_mm=example(20).sewn_mm + 140)
    assert settle(hold).gap_mm == pytest.approx(0)
    assert settle(hold, overlap=True).gap_mm.mean() < -60


def test_stiffer_edges_keep_the_gap_straight():
    def bend(edge):
        found = settle(example(edge))
        line = np.polyval(np.polyfit(found.z, found.gap_mm, 1), found.z)
        return float(np.max(np.abs(found.gap_mm - line)))

    assert bend(57.6) < bend(5.8) < bend(0.35) < bend(0.02)


def test_a_harder_pull_never_opens_the_gap():
    gaps = [settle(dataclasses.replace(example(57.6), pull_n_per_m=pull)).gap_mm.mean() for pull in (60, 120, 240)]
    assert gaps[0] > gaps[1] > gaps[2]
    assert math.isfinite(gaps[2])


@pytest.mark.parametrize("percent", [0, 2, 4, 7, 9])
def test_stiff_edges_that_just_touch_settle_all_the_same(percent):
    from fuseau.craft.fit.fit import Lacing
    from fuseau.craft.fit.target import Target
    from fuseau.craft.materials.stack import Stack
    from tests.craft.fit.test_fit import BODY, PRACTICE, planned

    aimed, pattern = planned(Target(reduction_percent=percent, gap_mm=0, pull="light"))
    hold = Lacing(pattern, Stack(), 57.6, aimed.pull_n_per_m, PRACTICE).on(BODY)
    found = settle(hold)
    weight = equilibrium._weights(hold.z_mm)
    bend = equilibrium._bending(len(hold.z_mm), float(hold.z_mm[1] - hold.z_mm[0]), hold.edge_n_m2)

    def forces(gap):
        hoop = hold.sewn_mm - hold.take_up_mm + gap
        tension, by, _ = equilibrium.tension_at(hold.natural_mm, hold.give, hoop, hold.pressure_scale_kpa)
        return bend @ gap + weight * (hold.pull_n_per_m - tension) / 1000, by, tension

    from_inside = equilibrium._held_apart(hold, bend, forces, 1e-5)
    assert from_inside is not None
    assert found.gap_mm == pytest.approx(from_inside.gap_mm, abs=0.02)
    assert found.gap_mm.min() >= 0


@pytest.mark.parametrize("height", [40, 50, 60, 75, 90])
@pytest.mark.parametrize("edge", [0.35, 57.6, 115.0])
def test_a_short_back_settles_too(height, edge):
    z = np.linspace(-height / 2, height / 2, 61)
    hold = dataclasses.replace(
        example(edge),
        z_mm=z,
        natural_mm=np.interp(z, LEVELS, [960, 880, 700, 770, 840, 880]),
        give=np.interp(z, LEVELS, [0.05, 0.06, 0.13, 0.06, 0.04, 0.06]),
        sewn_mm=np.interp(z, LEVELS, [902.2, 815.7, 594.9, 709.8, 790.2, 826.2]),
    )
    found = settle(hold)
    assert found.gap_mm.min() > 20
    body = float(np.trapezoid(found.tension_n_per_m, z)) / height
    assert body == pytest.approx(150, rel=1e-3)


def side_by_side(each):
    rows = {
        name: np.array([np.broadcast_to(getattr(hold, name), hold.z_mm.shape) for hold in each])
        for name in ("natural_mm", "give", "sewn_mm", "pull_n_per_m")
    }
    flesh = {name: np.array([getattr(hold, name) for hold in each]) for name in ("pressure_scale_kpa", "stiffening")}
    return Holds(z_mm=each[0].z_mm, take_up_mm=each[0].take_up_mm, edge_n_m2=each[0].edge_n_m2, **rows, **flesh)


@given(st.lists(holds, min_size=2, max_size=5))
@settings(max_examples=25)
def test_many_side_by_side_are_each_as_by_itself(each):
    alike = [dataclasses.replace(hold, edge_n_m2=each[0].edge_n_m2) for hold in each]
    many = settle_many(side_by_side(alike))
    assert many.balanced.all()
    for hold, gap, pressure in zip(alike, many.gap_mm, many.pressure_kpa, strict=True):
        found = settle(hold)
        assert gap == pytest.approx(found.gap_mm, abs=2e-3)
        assert pressure == pytest.approx(found.pressure_kpa, abs=1e-3)


@given(st.integers(1, 30), st.integers(2, 70), st.floats(1e-3, 1e9), st.integers(0, 2**32 - 1))
def test_five_diagonals_are_solved_as_the_whole_matrix_is(systems, points, stiff, seed):
    chance = np.random.default_rng(seed)
    second = np.diff(np.eye(points), 2, axis=0)
    bend = stiff * second.T @ second
    right = chance.normal(0, 1, (systems, points))
    free = chance.random((systems, points)) > 0.2
    main = np.where(free, np.diag(bend) + chance.uniform(1e-3, 10, (systems, points)), 1.0)
    side = np.diag(bend, -1) * (free[:, 1:] & free[:, :-1])
    far = np.diag(bend, -2) * (free[:, 2:] & free[:, :-2])
    found = _solve_banded(main, side, far, right)
    for k in range(systems):
        whole = np.diag(main[k]) + np.diag(side[k], 1) + np.diag(side[k], -1)
        whole += np.diag(far[k], 2) + np.diag(far[k], -2)
        left = np.abs(whole @ found[k] - right[k]).max()
        assert left <= 1e-9 * max(1.0, np.abs(whole).max() * np.abs(found[k]).max())
