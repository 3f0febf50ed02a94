"""A dress stand that can be fitted: a simulated wearer whose true body is hidden, to rehearse on and to test against.

It has physics of its own. The kinder one is the model's own world with numbers that nobody told the model; in the
harsher one flesh stiffens by a power law, the lace pulls harder at the waist than at the ends, the garment rides up or
down, and the half of her that answers is pressed otherwise than the other. In a family every stand has physics of its
own: how flesh gives and stops, how the body runs between and beyond its levels, what the lace loses, where it digs.
Everything random is seeded.
"""

import dataclasses
import math
from dataclasses import dataclass
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fitting.readiness import Failing, Wish, shortfalls
from fuseau.craft.fitting.seen import Word
from fuseau.craft.wearer.body import Body

World = Literal["kind", "harsh", "family"]
Law = Literal["exponential", "power", "bilinear"]
Beyond = Literal["straight", "flat", "curved"]
_STIFFENS = 1.7
_AT_GIVE_KPA = 4.5  # pressure where the harsh world's flesh has given its whole share
_PASSES = 400
_CORNER = 0.03  # of the share given: where bone or muscle stops flesh, it stops it within so much


@dataclass(frozen=True)
class Flesh:
    """How a stand's flesh presses at a share u of what it gives, kPa.

    Exponential: −p0·ln(1 − u). Power: p0·u to `sharp`. Bilinear: p0·u, and past `stop` (by level) `sharp` times more.
    """

    law: Law
    scale_kpa: float
    sharp: float = 1.0
    stop: Array | None = None


@dataclass(frozen=True)
class TrueBody:
    """What nobody knows: girths and gives at the levels, the mock-up cloth's extra stretch, and the physics.

    `off_mm`: how far girths are off the curve through the levels, at heights of the back (2, n). `comfort`: where it
    begins to dig, beside the table's.
    """

    girths_mm: Array
    gives: Array
    stretch: float
    flesh: Flesh
    ride_mm: float = 0.0
    harder_at_waist: float = 0.0
    one_sided: Array | None = None  # by level: the share by which the half that is asked is pressed more than the mean
    friction: float = 0.0
    final_stretch: float = 0.0
    beyond: Beyond = "straight"
    off_mm: Array | None = None
    comfort: float = 1.0


@dataclass(frozen=True)
class Seen:
    """What a fitting shows along the lacing edge: gap, hoop and natural girth (mm), pressure (kPa)."""

    z_mm: Array
    gap_mm: Array
    hoop_mm: Array
    natural_mm: Array
    pressure_kpa: Array
    one_sided: Array | float = 0.0
    comfort: float = 1.0


KIND_FLESH = Flesh("exponential", 2.0)
HARSH_FLESH = Flesh("power", _AT_GIVE_KPA, _STIFFENS)


def hidden(taped: Body, world: World, seed: int, tape_mm: float, give: float, stretch: float) -> TrueBody:
    """A true body about what the tape said: off by `tape_mm` (1σ), gives by a share, stretch evenly up to its most."""
    if world == "family":
        return _one_of_a_family(taped, seed, tape_mm, give, stretch)
    chance = np.random.default_rng(seed)
    girths = np.array([level.girth_mm for level in taped]) + chance.normal(0, tape_mm, len(taped.levels))
    gives = np.array([level.give for level in taped]) * np.exp(chance.normal(0, give, len(taped.levels)))
    return TrueBody(
        girths_mm=girths,
        gives=np.minimum(gives, 0.3),
        stretch=float(chance.uniform(0, stretch)),
        flesh=HARSH_FLESH if world == "harsh" else KIND_FLESH,
        ride_mm=float(chance.normal(0, 6)) if world == "harsh" else 0.0,
        harder_at_waist=float(chance.uniform(0.05, 0.25)) if world == "harsh" else 0.0,
        one_sided=chance.normal(0, 0.1, len(taped.levels)) if world == "harsh" else None,
    )


def _one_of_a_family(taped: Body, seed: int, tape_mm: float, give: float, stretch: float) -> TrueBody:
    """A body whose very physics are drawn: flesh, what lies between and beyond the levels, lace, comfort."""
    chance = np.random.default_rng(50_000 + seed)
    count = len(taped.levels)
    common = 5.0
    own = math.sqrt(max(tape_mm**2 - common**2, 1.0))
    girths = np.array([level.girth_mm for level in taped]) + chance.normal(0, common) + chance.normal(0, own, count)
    gives = np.array([level.give for level in taped]) * np.exp(chance.normal(0, give, count) + chance.normal(0, 0.1))
    heights = np.array([level.back_mm for level in taped])
    law = ("exponential", "power", "bilinear")[int(chance.integers(3))]
    if law == "exponential":
        flesh = Flesh("exponential", float(chance.uniform(1.3, 3.0)))
    elif law == "power":
        flesh = Flesh("power", float(chance.uniform(3.0, 6.0)), float(chance.uniform(1.2, 2.2)))
    else:
        ribs = np.array([level.name in ("ribs", "underbust") for level in taped])
        stop = np.where(ribs, chance.uniform(0.4, 0.7), chance.uniform(0.7, 0.95))
        flesh = Flesh("bilinear", float(chance.uniform(2.0, 4.0)), float(chance.uniform(5, 12)), stop)
    nodes = np.arange(heights[0] - 60, heights[-1] + 61, 30.0)
    bumps = np.convolve(chance.normal(0, 1, len(nodes) + 2), [0.4, 0.8, 0.4], mode="valid") * chance.uniform(1, 4)
    return TrueBody(
        girths_mm=girths,
        gives=np.minimum(gives, 0.3),
        stretch=float(chance.uniform(0, stretch)),
        flesh=flesh,
        ride_mm=float(chance.uniform(-8, 8)),
        harder_at_waist=0.0,
        one_sided=chance.normal(0, 0.1, count),
        friction=float(chance.uniform(0.1, 0.25)),
        final_stretch=float(chance.uniform(0, 0.006)),
        beyond=("straight", "flat", "curved")[int(chance.integers(3))],
        off_mm=np.vstack([nodes, bumps]),
        comfort=float(np.exp(chance.normal(0, 0.1))),
    )


def _natural(true: TrueBody, taped: Body, at: Array) -> Array:
    """The true girth at heights of the back, mm."""
    heights = np.array([level.back_mm for level in taped])
    inside = np.clip(at, heights[0], heights[-1])
    found = taped.along_back.at(at if true.beyond == "straight" else inside) @ true.girths_mm
    if true.beyond == "curved":  # goes on as it ran, and bends back by the square
        found = taped.along_back.at(at) @ true.girths_mm - 0.0015 * np.square(at - inside)
    return found if true.off_mm is None else found + np.interp(at, *true.off_mm)


def lace_up(
    true: TrueBody, taped: Body, lacing: Lacing, pull: float, stretch: float, slack: Array | float = 0.0
) -> Seen:
    """Lace a garment on the true body with this pull (N/m) and stretch (share of its girth): what it comes to.

    `slack` is what of its girth stands off in one place along the edge, and bears nothing (mm).
    Raises RuntimeError when it finds no balance in a few hundred steps.
    """
    z = lacing.z
    heights = np.array([level.back_mm for level in taped])
    at = z + true.ride_mm
    natural = _natural(true, taped, at)
    give = np.interp(at, heights, true.gives)
    profile: Array = np.ones(len(z))
    if true.harder_at_waist:
        near = np.exp(-((z / 70.0) ** 2))
        profile = np.asarray(1 + true.harder_at_waist * (near - near.mean()))
    profile -= true.friction * np.abs(z) / np.abs(z).max()
    flesh = true.flesh
    if flesh.stop is not None:
        flesh = dataclasses.replace(flesh, stop=np.interp(at, heights, flesh.stop))
    base = lacing.pattern.shape.lacing_edge[1] * (1 + stretch) - lacing.takes - slack
    gap = _balance(
        z=z, natural=natural, give=give, base=base, pull=pull * profile, edge_n_m2=lacing.edge_n_m2, flesh=flesh
    )
    hoop = base + gap
    tension, _ = _tension(natural, give, hoop, flesh)
    uneven = 0.0 if true.one_sided is None else np.interp(at, heights, true.one_sided)
    return Seen(z, gap, hoop, natural, 2 * math.pi * tension / hoop, uneven, true.comfort)


def _tension(natural: Array, give: Array, hoop: Array, flesh: Flesh) -> tuple[Array, Array]:
    """Hoop tension (N/m) and its derivative by girth."""
    strain = np.maximum((natural - hoop) / natural, 0.0) / give
    if flesh.law == "exponential":
        held = np.minimum(strain, 0.995)
        pressure = flesh.scale_kpa * (-np.log1p(-held) + (strain - held) / (1 - held))
        slope = flesh.scale_kpa / (1 - held)
    elif flesh.law == "power":
        pressure = flesh.scale_kpa * strain**flesh.sharp
        slope = flesh.scale_kpa * flesh.sharp * strain ** (flesh.sharp - 1)
    else:
        over = (strain - (1.0 if flesh.stop is None else flesh.stop)) / _CORNER
        pressure = flesh.scale_kpa * (strain + flesh.sharp * _CORNER * np.logaddexp(0.0, over))
        slope = np.asarray(flesh.scale_kpa * (1 + flesh.sharp / (1 + np.exp(-over))), dtype=np.float64)
    pressure = np.where(strain > 0, pressure, 0.0)
    by = np.where(strain > 0, -slope / (natural * give), 0.0)
    return pressure * hoop / (2 * math.pi), (by * hoop + pressure) / (2 * math.pi)


def _balance(z: Array, natural: Array, give: Array, base: Array, pull: Array, edge_n_m2: float, flesh: Flesh) -> Array:
    """The gap at which lace, edges and body balance: damped Newton with an active set, independent of the model's."""
    step = z[1] - z[0]
    second = (np.eye(len(z), k=-1) - 2 * np.eye(len(z)) + np.eye(len(z), k=1))[1:-1]
    bend = second.T @ second * (edge_n_m2 * 1e6 / 2 / step**3)
    weight = np.full(len(z), step)
    weight[[0, -1]] /= 2
    gap = np.maximum(natural * (1 - give / 2) - base, 0.0)
    longest, before = 15.0, math.inf
    for _ in range(_PASSES):
        tension, by = _tension(natural, give, base + gap, flesh)
        force = bend @ gap + weight * (pull - tension) / 1000
        free = ~((gap <= 1e-9) & (force > 0))
        off = float(np.max(np.abs(force[free]), initial=0.0))
        if off < 1e-6 * weight.sum():
            return gap
        longest = longest * 0.7 if off > before else min(15.0, longest * 1.3)  # laws with a corner make it swing
        before = off
        stiff = bend + np.diag(weight * np.maximum(-by, 1e-3) / 1000)
        move = _least(stiff, force - stiff @ gap, gap) - gap
        gap = np.maximum(gap + move * min(1.0, longest / max(float(np.max(np.abs(move))), 1e-9)), 0.0)
    raise RuntimeError("this stand can't be laced into this garment")


def _least(stiff: Array, slope: Array, start: Array) -> Array:
    """Where x·K·x/2 + c·x is least over x ≥ 0, from such a start (the active-set method for convex programs)."""
    array, free = start.copy(), start > 0
    for _ in range(_PASSES):
        whole = np.zeros(len(array))
        whole[free] = -np.linalg.solve(stiff[np.ix_(free, free)], slope[free])
        below = free & (whole < 0)
        if below.any():
            shares = np.where(below, array / np.where(below, array - whole, 1.0), 1.0)
            array = array + shares.min() * (whole - array)
            free &= array > 1e-12
            free[np.argmin(shares)] = False
            array[~free] = 0.0
            continue
        array = whole
        held = np.where(free, 0.0, stiff @ array + slope)
        if held.min() >= -1e-9:
            return array
        free[np.argmin(held)] = True
    return array


TAPE: dict[World, tuple[float, float, float]] = {
    "kind": (7, 0.3, 0.03),
    "harsh": (9, 0.3, 0.04),
    "family": (8, 0.25, 0.05),
}


@dataclass(frozen=True)
class Noticed:
    """What a maker writes down at one fitting, by height: gaps, words or how much stands off, girths over it (mm)."""

    gaps: tuple[tuple[float, float], ...]
    words: tuple[tuple[float, Word], ...]
    stand_off: tuple[tuple[float, float], ...]
    laced: tuple[tuple[float, float], ...]


@dataclass(frozen=True)
class Reader:
    """How somebody reads: the noise of a gap, to what it is rounded (mm), how often it is misread by a centimetre."""

    noise_mm: float = 3.0
    rounds_to_mm: float = 1.0
    misreads: float = 0.0

    def gaps(self, true_mm: Array, chance: np.random.Generator) -> Array:
        """Gaps as they are written down, mm."""
        read = true_mm + chance.normal(0, self.noise_mm, len(true_mm))
        wrong = chance.random(len(true_mm)) < self.misreads
        read = read + wrong * 10.0 * np.sign(chance.normal(0, 1, len(true_mm)))
        return np.asarray(np.maximum(np.round(read / self.rounds_to_mm) * self.rounds_to_mm, 0))


def notice(
    seen: Seen, taped: Body, heights: Array, seed: int, takes: float | Array = 0.0, reader: Reader | None = None
) -> Noticed:
    """A fitting as it is read, honestly noisy: gaps as the reader does, words, what stands off to 4, girths to 5 mm."""
    chance = np.random.default_rng(seed)
    gaps = (reader or Reader(rounds_to_mm=0.01)).gaps(np.interp(heights, seen.z_mm, seen.gap_mm), chance)
    words: list[tuple[float, Word]] = []
    off: list[tuple[float, float]] = []
    levels = np.array([level.back_mm for level in taped])
    covered = [z for z in levels if seen.z_mm[0] < z < seen.z_mm[-1]]
    for z in map(float, (seen.z_mm[0], *covered, seen.z_mm[-1])):
        stands = float(np.interp(z, seen.z_mm, seen.hoop_mm - seen.natural_mm))
        comfort = float(np.interp(z, levels, [level.comfort_kpa for level in taped]))
        share = float(np.interp(z, seen.z_mm, seen.pressure_kpa * (1 + seen.one_sided))) / (comfort * seen.comfort)
        if stands > 3:
            off.append((z, max(0.0, stands + float(chance.normal(0, 4)))))
        else:
            words.append((z, _said(share * math.exp(float(chance.normal(0, 0.15))))))
    over = np.interp(covered, seen.z_mm, seen.hoop_mm + takes) + chance.normal(0, 5, len(covered))
    return Noticed(_pairs(heights, gaps), tuple(words), tuple(off), _pairs(np.array(covered), over))


def _pairs(heights: Array, values: Array) -> tuple[tuple[float, float], ...]:
    return tuple(zip(map(float, heights), map(float, values), strict=True))


def _said(share: float) -> Word:
    for limit, word in ((0.04, "stands off"), (0.3, "light"), (0.7, "right"), (1.0, "firm")):
        if share < limit:
            return word  # type: ignore[return-value]
    return "digs"


def passes(seen: Seen, taped: Body, wish: Wish, practice: Practice) -> dict[Failing, bool]:
    """Whether a garment passes: mean gap, tilt, bow, stand-off, pressure (model, section 6)."""
    off = seen.hoop_mm - seen.natural_mm
    pressure = seen.pressure_kpa / seen.comfort  # as much as it is to her
    wrong = shortfalls(
        z_mm=seen.z_mm,
        gap_mm=seen.gap_mm[None],
        stand_off_mm=off[None],
        pressure_kpa=pressure[None],
        levels=taped.levels,
        wish=wish,
        practice=practice,
    )
    return {name: not fails[0] for name, fails in wrong.items()}
