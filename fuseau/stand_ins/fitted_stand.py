"""A dress stand that can be fitted: a simulated wearer whose true body is hidden, to rehearse on and to test against.

It has physics of its own. The kinder one is the model's own world with numbers that nobody told the model; in the
harsher one flesh stiffens by a power law, the lace pulls harder at the waist than at the ends, the garment rides up or
down, and the half of her that answers is pressed otherwise than the other. Everything random is seeded.
"""

import math
from dataclasses import dataclass
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fitting.inference import Word
from fuseau.craft.fitting.readiness import Failing, shortfalls
from fuseau.craft.wearer.body import Body

World = Literal["kind", "harsh"]
_STIFFENS = 1.7
_AT_GIVE_KPA = 4.5  # pressure where the harsh world's flesh has given its whole share
_PASSES = 200


@dataclass(frozen=True)
class TrueBody:
    """What nobody knows: girths and gives at the levels, the mock-up cloth's extra stretch, and the physics."""

    girths_mm: Array
    gives: Array
    stretch: float
    world: World
    ride_mm: float = 0.0
    harder_at_waist: float = 0.0
    one_sided: Array | None = None  # by level: the share by which the half that is asked is pressed more than the mean


@dataclass(frozen=True)
class Seen:
    """What a fitting shows along the lacing edge: gap, hoop and natural girth (mm), pressure (kPa)."""

    z_mm: Array
    gap_mm: Array
    hoop_mm: Array
    natural_mm: Array
    pressure_kpa: Array
    one_sided: Array | float = 0.0


def hidden(taped: Body, world: World, seed: int, tape_mm: float, give: float, stretch: float) -> TrueBody:
    """A true body about what the tape said: off by `tape_mm` (1σ), gives by a share, stretch evenly up to its most."""
    chance = np.random.default_rng(seed)
    girths = np.array([level.girth_mm for level in taped]) + chance.normal(0, tape_mm, len(taped.levels))
    gives = np.array([level.give for level in taped]) * np.exp(chance.normal(0, give, len(taped.levels)))
    return TrueBody(
        girths_mm=girths,
        gives=np.minimum(gives, 0.3),
        stretch=float(chance.uniform(0, stretch)),
        world=world,
        ride_mm=float(chance.normal(0, 6)) if world == "harsh" else 0.0,
        harder_at_waist=float(chance.uniform(0.05, 0.25)) if world == "harsh" else 0.0,
        one_sided=chance.normal(0, 0.1, len(taped.levels)) if world == "harsh" else None,
    )


def lace_up(true: TrueBody, taped: Body, lacing: Lacing, pull: float, stretch: float) -> Seen:
    """Lace a garment on the true body with this pull (N/m) and stretch (share of its girth): what it comes to.

    Raises RuntimeError when it finds no balance in a few hundred steps.
    """
    z = lacing.z
    heights = np.array([level.back_mm for level in taped])
    at = z + true.ride_mm
    natural = taped.along_back.at(at) @ true.girths_mm
    give = np.interp(at, heights, true.gives)
    profile = np.ones(len(z))
    if true.harder_at_waist:
        near = np.exp(-((z / 70.0) ** 2))
        profile = 1 + true.harder_at_waist * (near - near.mean())
    base = lacing.pattern.shape.lacing_edge[1] * (1 + stretch) - lacing.take_up_mm
    gap = _balance(z, natural, give, base, pull * profile, lacing.edge_n_m2, true.world)
    hoop = base + gap
    tension, _ = _tension(natural, give, hoop, true.world)
    uneven = 0.0 if true.one_sided is None else np.interp(at, heights, true.one_sided)
    return Seen(z, gap, hoop, natural, 2 * math.pi * tension / hoop, uneven)


def _tension(natural: Array, give: Array, hoop: Array, world: World) -> tuple[Array, Array]:
    """Hoop tension (N/m) and its derivative by girth."""
    strain = np.maximum((natural - hoop) / natural, 0.0) / give
    if world == "kind":
        held = np.minimum(strain, 0.995)
        pressure = -2.0 * np.log1p(-held) + 2.0 * (strain - held) / (1 - held)
        slope = 2.0 / (1 - held)
    else:
        pressure = _AT_GIVE_KPA * strain**_STIFFENS
        slope = _AT_GIVE_KPA * _STIFFENS * strain ** (_STIFFENS - 1)
    by = np.where(strain > 0, -slope / (natural * give), 0.0)
    return pressure * hoop / (2 * math.pi), (by * hoop + pressure) / (2 * math.pi)


def _balance(z: Array, natural: Array, give: Array, base: Array, pull: Array, edge_n_m2: float, world: World) -> Array:
    """The gap at which lace, edges and body balance: damped Newton with an active set, independent of the model's."""
    step = z[1] - z[0]
    second = (np.eye(len(z), k=-1) - 2 * np.eye(len(z)) + np.eye(len(z), k=1))[1:-1]
    bend = second.T @ second * (edge_n_m2 * 1e6 / 2 / step**3)
    weight = np.full(len(z), step)
    weight[[0, -1]] /= 2
    gap = np.maximum(natural * (1 - give / 2) - base, 0.0)
    for _ in range(_PASSES):
        tension, by = _tension(natural, give, base + gap, world)
        force = bend @ gap + weight * (pull - tension) / 1000
        free = ~((gap <= 1e-9) & (force > 0))
        if np.max(np.abs(force[free]), initial=0.0) < 1e-6 * weight.sum():
            return gap
        stiff = bend + np.diag(weight * np.maximum(-by, 1e-3) / 1000)
        move = np.zeros(len(z))
        move[free] = -np.linalg.solve(stiff[np.ix_(free, free)], force[free])
        gap = np.maximum(gap + move * min(1.0, 15 / max(float(np.max(np.abs(move))), 1e-9)), 0.0)
    raise RuntimeError("this stand can't be laced into this garment")


TAPE: dict[World, tuple[float, float, float]] = {"kind": (7, 0.3, 0.03), "harsh": (9, 0.3, 0.04)}


@dataclass(frozen=True)
class Noticed:
    """What a maker writes down at one fitting, by height: gaps, words or how much stands off, girths over it (mm)."""

    gaps: tuple[tuple[float, float], ...]
    words: tuple[tuple[float, Word], ...]
    stand_off: tuple[tuple[float, float], ...]
    laced: tuple[tuple[float, float], ...]


def notice(
    seen: Seen, taped: Body, heights: Array, seed: int, gap_noise_mm: float = 3.0, take_up_mm: float = 0.0
) -> Noticed:
    """A fitting as it is read, honestly noisy: gaps to `gap_noise_mm`, words, what stands off to 4, girths to 5 mm."""
    chance = np.random.default_rng(seed)
    gaps = np.maximum(np.interp(heights, seen.z_mm, seen.gap_mm) + chance.normal(0, gap_noise_mm, len(heights)), 0)
    words: list[tuple[float, Word]] = []
    off: list[tuple[float, float]] = []
    levels = np.array([level.back_mm for level in taped])
    covered = [z for z in levels if seen.z_mm[0] < z < seen.z_mm[-1]]
    for z in map(float, (seen.z_mm[0], *covered, seen.z_mm[-1])):
        stands = float(np.interp(z, seen.z_mm, seen.hoop_mm - seen.natural_mm))
        comfort = float(np.interp(z, levels, [level.comfort_kpa for level in taped]))
        share = float(np.interp(z, seen.z_mm, seen.pressure_kpa * (1 + seen.one_sided))) / comfort
        if stands > 3:
            off.append((z, max(0.0, stands + float(chance.normal(0, 4)))))
        else:
            words.append((z, _said(share * math.exp(float(chance.normal(0, 0.15))))))
    over = np.interp(covered, seen.z_mm, seen.hoop_mm) + take_up_mm + chance.normal(0, 5, len(covered))
    return Noticed(_pairs(heights, gaps), tuple(words), tuple(off), _pairs(np.array(covered), over))


def _pairs(heights: Array, values: Array) -> tuple[tuple[float, float], ...]:
    return tuple(zip(map(float, heights), map(float, values), strict=True))


def _said(share: float) -> Word:
    for limit, word in ((0.04, "stands off"), (0.3, "light"), (0.7, "right"), (1.0, "firm")):
        if share < limit:
            return word  # type: ignore[return-value]
    return "digs"


def passes(seen: Seen, taped: Body, gap_mm: float, practice: Practice) -> dict[Failing, bool]:
    """Whether a garment passes: mean gap, tilt, bow, stand-off, pressure (model, section 6)."""
    off = seen.hoop_mm - seen.natural_mm
    wrong = shortfalls(seen.z_mm, seen.gap_mm, off, seen.pressure_kpa, taped.levels, gap_mm, practice)
    return {name: not fails for name, fails in wrong.items()}
