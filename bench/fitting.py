"""How often the final garment fits, before and after each mock-up: simulated wearers in two worlds, three ways.

    python -m bench.fitting [wearers]

The ways: the tape alone; correcting each level by its gap error; and the estimate of model section 6. The final garment
(flat steel edges, final layers) is laced as planned on the hidden body. Readiness is compared with what came of it.
"""

import dataclasses
import sys
import time
from concurrent.futures import ProcessPoolExecutor

import numpy as np

from fuseau.build import Build
from fuseau.craft.body import Body, believe
from fuseau.craft.fit import Lacing, fit
from fuseau.craft.kinds import KINDS
from fuseau.craft.learning import WORDS, Belief, Tried, infer
from fuseau.craft.pattern import Pattern
from fuseau.craft.readiness import readiness
from fuseau.craft.wearer import Level, Wearer
from fuseau.shaping import aim_at, edges, final_lacing, mock_up_lacing
from fuseau.stand_ins.fitted_stand import TAPE, World, hidden, lace_up, notice, passes

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
    kind = KINDS["underbust corset"]
    build = Build(wearer=wearer(seed))
    taped = believe(build.wearer, build.zones, build.practice, kind.levels, kind.needed)
    true = hidden(taped, world, seed, *TAPE[world])
    top, hem = edges(build, taped)
    chance = np.random.default_rng(20_000 + seed)
    found: dict[str, list[float]] = {"tape": [], "gap": [], "model": [], "said": []}

    def final(pattern: Pattern, pull: float, body: Body) -> bool:
        aimed, _ = aim_at(build, body, top, hem)
        lacing = final_lacing(build, pattern, aimed)
        stretch = pull * lacing.stack.stretch_per_n
        return all(passes(lace_up(true, taped, lacing, pull, stretch), taped, 50, build.practice).values())

    aimed, pattern = aim_at(build, taped, top, hem)
    planned = aimed.pull_n_per_m
    found["tape"] = [final(pattern, planned, taped)] * (FITTINGS + 1)
    heights = np.linspace(hem.cb_mm + 8, top.cb_mm - 8, 6)
    body, ours, simple, tried = taped, pattern, taped, []
    by_gap = pattern
    found["model"].append(found["tape"][0])
    found["gap"].append(found["tape"][0])
    belief: Belief = infer(taped, [])
    found["said"].append(readiness(belief, final_lacing(build, ours, aimed), 50, seed).probability)
    for k in range(FITTINGS):
        pull = planned * float(np.exp(chance.normal(0, 0.2)))
        lacing = dataclasses.replace(mock_up_lacing(build, ours), pull_n_per_m=planned)
        seen = lace_up(true, taped, lacing, pull, pull * lacing.stack.stretch_per_n + true.stretch)
        tried.append(
            tried_of(k + 1, lacing, notice(seen, taped, heights, 1000 * seed + k, take_up_mm=lacing.take_up_mm))
        )
        belief = infer(taped, tried)
        body = belief.body
        aimed, ours = aim_at(build, body, top, hem)
        found["model"].append(final(ours, aimed.pull_n_per_m, body))
        found["said"].append(readiness(belief, final_lacing(build, ours, aimed), 50, seed).probability)
        # the simpler way: each level's girth corrected by what its gap is off from what was expected
        plain = dataclasses.replace(mock_up_lacing(build, by_gap), pull_n_per_m=planned)
        seen = lace_up(true, taped, plain, pull, pull * plain.stack.stretch_per_n + true.stretch)
        read = np.array(notice(seen, taped, heights, 1000 * seed + k).gaps)
        planned_gap = fit(plain, simple)
        expected = np.array([planned_gap.gap_at(z) for z in read[:, 0]])
        off = np.interp([level.back_mm for level in simple], read[:, 0], read[:, 1] - expected)
        girths = np.array([level.girth_mm for level in simple]) + off
        simple = simple.with_girths(girths, np.full(len(girths), 5.0))
        aimed_simple, by_gap = aim_at(build, simple, top, hem)
        found["gap"].append(final(by_gap, aimed_simple.pull_n_per_m, simple))
    return found


def tried_of(number: int, lacing: Lacing, noticed) -> Tried:  # type: ignore[no-untyped-def]
    """A fitting as the estimate takes it."""
    gaps = np.array(noticed.gaps)
    practice = lacing.practice
    return Tried(
        number=number,
        lacing=lacing,
        z_mm=gaps[:, 0],
        gap_mm=gaps[:, 1],
        spread_mm=np.full(len(gaps), practice.ruler_spread_mm),
        words=tuple((z, WORDS[word][0], WORDS[word][1] * practice.word_spread) for z, word in noticed.words),
        stand_off_mm=tuple((z, off, practice.pinch_spread_mm) for z, off in noticed.stand_off),
        laced_mm=tuple((z, girth, practice.laced_spread_mm) for z, girth in noticed.laced),
    )


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
