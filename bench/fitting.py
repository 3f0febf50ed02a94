"""How often the final garment fits, before and after each mock-up: simulated wearers in two worlds, three ways.

    python -m bench.fitting [wearers]

The ways: the tape alone; correcting each level by its gap error; and the estimate of model section 6, driven as a maker
drives it, through `plan` and the decisions, each fitting written down in whole millimetres. The final garment (flat
steel edges, final layers) is laced as planned on the hidden body. Readiness is compared with what came of it.
"""

import datetime
import sys
import time
from concurrent.futures import ProcessPoolExecutor

import numpy as np

from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.base.curves import Array
from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.wearer.body import Body, believe
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import Level, Wearer
from fuseau.document.build import Build
from fuseau.planning.cache import StageCache
from fuseau.planning.lacings import final_lacing, mock_up_lacing
from fuseau.planning.pattern import AimInputs, aim_pattern
from fuseau.planning.pipeline import plan
from fuseau.planning.readiness import ready
from fuseau.stand_ins.fitted_stand import TAPE, TrueBody, World, hidden, lace_up, notice, passes
from fuseau.stand_ins.rehearsal import as_written

TODAY = datetime.date(2026, 11, 2)
FITTINGS = 3


def wearer(seed: int) -> Wearer:
    """Somebody: girths in human proportion, as the tape has them."""
    chance = np.random.default_rng(10_000 + seed)
    waist = chance.uniform(620, 860)
    return Wearer(
        underbust=Level(readings_mm=(waist * chance.uniform(1.06, 1.16),), height_side_mm=88),
        ribs=Level(readings_mm=(waist * chance.uniform(1.02, 1.08),), height_side_mm=52),
        waist=Level(readings_mm=(waist,)),
        high_hip=Level(readings_mm=(waist * chance.uniform(1.16, 1.3),), height_side_mm=95),
        hip=Level(readings_mm=(waist * chance.uniform(1.3, 1.42),), height_side_mm=200),
        waist_to_lap_sitting_mm=175,
        new_to_lacing=False,
    )


def one(world: World, seed: int) -> dict[str, list[float]]:
    """One wearer's way: for each way and fitting whether the final passes, and what readiness said."""
    kind = GARMENT_KINDS["underbust corset"]
    build = Build(wearer=wearer(seed))
    taped = believe(build.wearer, build.zones, build.practice, kind.levels, kind.needed)
    true = hidden(taped, world, seed, *TAPE[world])
    pulls = np.exp(np.random.default_rng(20_000 + seed).normal(0, 0.2, FITTINGS))
    tape, ours, said = by_estimate(build, taped, true, pulls, seed)
    return {
        "tape": [tape] * (FITTINGS + 1),
        "gap": [tape, *by_gap_error(build, taped, true, pulls, seed)],
        "model": [tape, *ours],
        "said": said,
    }


def _final(build: Build, lacing: Lacing, taped: Body, true: TrueBody) -> bool:
    """Whether the final garment, laced as planned on the hidden body, passes."""
    pull = lacing.pull_n_per_m
    seen = lace_up(true, taped, lacing, pull, pull * lacing.stack.stretch_per_n)
    return all(passes(seen, taped, build.target.gap_mm, build.practice).values())


def by_estimate(
    build: Build, taped: Body, true: TrueBody, pulls: Array, seed: int
) -> tuple[bool, list[bool], list[float]]:
    """The loop as a maker drives it, through plan and decisions: whether the final passes before, and after each."""
    kept = StageCache()
    build = cut_version(build, plan(build, cache=kept), TODAY)
    outcomes, said = [], []
    for k in range(FITTINGS + 1):
        planned, odds, current = plan(build, cache=kept), ready(build, cache=kept), build.current
        assert odds is not None
        assert current is not None
        assert planned.aim is not None
        said.append(odds.probability)
        outcomes.append(_final(build, final_lacing(build, current.pattern, planned.aim), taped, true))
        if k == FITTINGS:
            break
        lacing = mock_up_lacing(build, current.pattern)
        pull = lacing.pull_n_per_m * float(pulls[k])
        seen = lace_up(true, taped, lacing, pull, pull * lacing.stack.stretch_per_n + true.stretch)
        heights = np.linspace(seen.z_mm[0] + 8, seen.z_mm[-1] - 8, 6)
        found = notice(seen, taped, heights, 1000 * seed + k, take_up_mm=lacing.take_up_mm)
        build = log_fitting(build, planned, {"pull": "close", **as_written(found, taped)}, TODAY, "cm")
        planned = plan(build, cache=kept)
        if planned.proposal:
            build = accept(build, planned, TODAY)
    return outcomes[0], outcomes[1:], said


def by_gap_error(build: Build, taped: Body, true: TrueBody, pulls: Array, seed: int) -> list[bool]:
    """The simpler way: each level's girth corrected by what its gap is off from what was expected."""
    body, (aimed, pattern) = taped, aim_pattern(AimInputs.of(build, taped))
    outcomes = []
    for k in range(FITTINGS):
        lacing = mock_up_lacing(build, pattern)
        pull = lacing.pull_n_per_m * float(pulls[k])
        seen = lace_up(true, taped, lacing, pull, pull * lacing.stack.stretch_per_n + true.stretch)
        heights = np.linspace(seen.z_mm[0] + 8, seen.z_mm[-1] - 8, 6)
        read = np.array(notice(seen, taped, heights, 1000 * seed + k).gaps)
        planned_gap = fit(lacing, body)
        expected = np.array([planned_gap.gap_at(z) for z in read[:, 0]])
        off = np.interp([level.back_mm for level in body], read[:, 0], read[:, 1] - expected)
        body = body.with_girths(body.girths_mm + off, np.full(len(off), 5.0))
        aimed, pattern = aim_pattern(AimInputs.of(build, body))
        outcomes.append(_final(build, final_lacing(build, pattern, aimed), taped, true))
    return outcomes


def _one(job: tuple[World, int]) -> dict[str, list[float]] | None:
    try:
        return one(*job)
    except RuntimeError as error:
        print(f"{job}: {error}", file=sys.stderr)
        return None


def report(world: World, wearers: int) -> None:
    """Shares that pass, and how readiness compares with what came of it."""
    began = time.perf_counter()
    with ProcessPoolExecutor(2) as pool:
        ran = list(pool.map(_one, [(world, seed) for seed in range(wearers)], chunksize=4))
    found = [one for one in ran if one is not None]
    print(f"\n{world} world, {len(found)} of {wearers} wearers, {time.perf_counter() - began:.0f} s")
    print(f"{'final garment passes, %':<34}{'before':>8}{'after 1':>9}{'after 2':>9}{'after 3':>9}")
    for way, name in (("tape", "tape alone"), ("gap", "each level by its gap error"), ("model", "the estimate")):
        shares = np.array([one[way] for one in found], dtype=float).mean(axis=0) * 100
        print(f"{name:<34}" + "".join(f"{share:9.1f}" for share in shares))
    said = np.array([one["said"] for one in found])
    came = np.array([one["model"] for one in found], dtype=float)
    for low, high in ((0.0, 0.5), (0.5, 0.85), (0.85, 0.95), (0.95, 1.01)):
        here = (said >= low) & (said < high)
        if here.sum() >= 10:
            print(
                f"  readiness {low * 100:.0f} to {min(high, 1) * 100:.0f} %: said {said[here].mean() * 100:.0f}, "
                f"came {came[here].mean() * 100:.0f} ({here.sum()} times)"
            )


if __name__ == "__main__":
    count = int(sys.argv[1]) if len(sys.argv) > 1 else 300
    for which in ("kind", "harsh"):
        report(which, count)  # type: ignore[arg-type]
