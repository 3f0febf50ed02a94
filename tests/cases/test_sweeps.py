"""The heart is steady: swept finely, nothing jumps, and what has a direction never turns (model, 4 to 6).

Each sweep moves one thing by 1 mm, 0.1 % or 1 N/m at a time, over kinds and seeded bodies.
"""

import numpy as np
import pytest

from fuseau.document.build import Build
from tests.cases.sweeps import Swept, cut, drafted, read, sweep
from tests.conftest import edited
from tests.kinds import ALL_KINDS, WHOLE, built

LACED = tuple(kind for kind in ALL_KINDS if kind != "neck corset")
REDUCING = ("underbust corset", "overbust corset", "cincher", "longline corset")
TORSO = ("hip", "high_hip", "waist", "ribs", "underbust", "bust", "high_bust")
A_STEP_MM, A_GIRTHS_STEP_MM = 1.5, 2.0


def bodied(kind: str, seed: int, **fields: object) -> Build:
    """A build of a kind on somebody near the one who is measured, the same for a seed."""
    chance = np.random.default_rng(seed)
    girths = {
        f"wearer__{level}__readings_mm": [round(float(given["readings_mm"][0] * chance.uniform(0.94, 1.08)))]
        for level, given in WHOLE.items()
        if level != "ribs"
    }
    girths["wearer__ribs__readings_mm"] = [
        round((girths["wearer__waist__readings_mm"][0] + girths["wearer__underbust__readings_mm"][0]) / 2)
    ]
    return built(kind, **{**girths, **fields})


def field_of(build: Build, name: str):
    """What a build comes to with one of its fields at a value."""
    return lambda value: drafted(edited(build, **{name: value}))


def steady(found: Swept, allowed_mm: float) -> None:
    assert found.worst_mm <= allowed_mm, f"{found.name}: {found.worst_mm:.2f} mm a step at {found.at}"
    assert not found.turns, f"{found.name}: turns at {found.turns}"


@pytest.mark.parametrize("seed", [1, 2, 3])
@pytest.mark.parametrize("kind", REDUCING)
def test_more_asked_is_sewn_smaller_and_never_worn_less(kind, seed):
    build = bodied(kind, seed)
    worn: list[tuple[float, float]] = []

    def made(percent: float):
        found = drafted(edited(build, target__reduction_percent=percent))
        waist = next(level for level in found.final.levels if level.name == "waist")
        worn.append((percent, waist.worn_mm))
        return found

    steady(sweep(f"{kind} {seed}: reduction", made, 0, 20, 0.1, A_STEP_MM, falls=("waist",)), A_STEP_MM)
    for (_, less), (percent, more) in zip(sorted(worn), sorted(worn)[1:], strict=False):
        assert more <= less + (0.3 if percent <= 12 else 3.5), percent  # far beyond, the edges tilt as they gape


@pytest.mark.parametrize("kind", REDUCING)
def test_a_closed_waist_and_a_gap_move_what_is_sewn_in_step(kind):
    closed = bodied(kind, 4, target__job="closed_waist")
    made = field_of(closed, "target__closed_waist_mm")
    steady(sweep(f"{kind}: closed waist", made, 480, 720, 1, A_GIRTHS_STEP_MM, rises=("waist",)), A_GIRTHS_STEP_MM)


@pytest.mark.parametrize("kind", LACED)
def test_a_wider_gap_wished_is_sewn_narrower_by_that(kind):
    found = sweep(f"{kind}: gap", field_of(bodied(kind, 5), "target__gap_mm"), 0, 120, 1, A_STEP_MM, falls=TORSO)
    steady(found, A_STEP_MM)


@pytest.mark.parametrize("kind", LACED)
@pytest.mark.parametrize("level", ["waist", "underbust", "high_hip"])
def test_a_bigger_wearer_is_sewn_bigger_there(kind, level):
    build = bodied(kind, 6)
    here = float(getattr(build.wearer, level).readings_mm[0])
    made = field_of(build, f"wearer__{level}__readings_mm__0")
    found = sweep(f"{kind}: {level}", made, here - 30, here + 30, 1, A_GIRTHS_STEP_MM, rises=(level,), looks=7)
    steady(found, A_GIRTHS_STEP_MM)


@pytest.mark.parametrize("kind", LACED)
def test_heights_and_pulls_move_what_is_sewn_in_step(kind):
    build = bodied(kind, 7)
    hip = float(WHOLE["high_hip"]["height_side_mm"])
    made = field_of(build, "wearer__high_hip__height_side_mm")
    steady(
        sweep(f"{kind}: high hip's height", made, hip - 20, hip + 40, 1, A_GIRTHS_STEP_MM, looks=7), A_GIRTHS_STEP_MM
    )
    pull = "support_close_n_per_m" if kind not in REDUCING else "close_pull_n_per_m"
    made = field_of(build, f"practice__{pull}")
    steady(sweep(f"{kind}: pull", made, 60, 200, 1, A_STEP_MM, looks=7), A_STEP_MM)


@pytest.mark.parametrize("kind", LACED)
def test_a_wider_gap_read_lets_out_and_never_less(kind):
    build = cut(kind)
    made = lambda off: drafted(read(build, lambda z: off))  # noqa: E731
    low = -20 if kind in REDUCING else -8
    steady(sweep(f"{kind}: mock-up", made, low, 60, 1, A_STEP_MM, rises=("waist", "underbust", "ribs")), A_STEP_MM)


@pytest.mark.parametrize("kind", ["underbust corset", "longline corset", "boned bodice"])
def test_a_finished_garment_that_gapes_more_is_let_out_more(kind):
    build = cut(kind)
    made = lambda off: drafted(read(build, lambda z: off, finished=True))  # noqa: E731
    found = sweep(f"{kind}: finished", made, 0, 40, 1, A_STEP_MM, rises=("waist", "ribs"))
    steady(found, A_STEP_MM)
    assert (made(24).sewn_mm >= made(0).sewn_mm - 0.5).all()


@pytest.mark.parametrize("field", ["wearer__upper_neck__readings_mm__0", "wearer__neck_base__readings_mm__0"])
def test_a_collar_follows_a_neck_by_millimetres_at_every_height(field):
    build = built("neck corset")
    here = float(WHOLE[field.split("__")[1]]["readings_mm"][0])
    found = sweep(field, field_of(build, field), here - 30, here + 15, 1, A_GIRTHS_STEP_MM)
    steady(found, A_GIRTHS_STEP_MM)


@pytest.mark.parametrize("kind", REDUCING)
def test_less_reduction_never_squeezes_elsewhere_more(kind):
    build, before = built(kind), None
    for percent in range(0, 13, 2):
        levels = drafted(edited(build, target__reduction_percent=float(percent))).final.levels
        pressed = {level.name: level.pressure_kpa for level in levels if level.pressure_kpa and level.name != "waist"}
        if before and percent <= 10:
            for name, kpa in before.items():
                assert pressed[name] > kpa - 0.4, (percent, name)
        before = pressed
