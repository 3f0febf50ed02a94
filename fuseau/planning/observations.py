"""What was noted at fittings, as observations along the lacing edge, and what they teach (model, section 6)."""

from dataclasses import dataclass
from typing import Self

import numpy as np

from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.target import Job, pull_of
from fuseau.craft.fitting.inference import WORDS, Belief, Tried, infer
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from fuseau.document.fittings import Fitting, Pinch
from fuseau.planning.evidence import pinch_profile
from fuseau.planning.lacings import edge_of

_ONE_PLACE_MM = 30.0  # pinches whose middles lie closer than this are one stand-off
_FLIPPED_SHARE = 0.5  # upside down, what is left of the differences has to be less than this
_FLIPPED_MM = 8.0
_UNTOLD = {"note": "", "photos": (), "hours": None, "cost": None, "under": "", "tried_on": None, "corrected": 0}


@dataclass(frozen=True)
class TriedOn:
    """One fitting without what tells nothing of the fit; the pattern it was of, its edge (N·m²), and what it lacked.

    `wider` is by how much what the mock-up lacked widens every spread.
    """

    fitting: Fitting
    pattern: Pattern
    edge_n_m2: float
    wider: float


@dataclass(frozen=True)
class InferenceInputs:
    """What the belief follows from: the body as measured, and every fitting of a version that exists."""

    measured: Body
    tied: bool
    job: Job
    practice: Practice
    tried: tuple[TriedOn, ...]

    @classmethod
    def of(cls, build: Build, measured: Body) -> Self:
        """Taken from the build."""
        tried = []
        for fitting in build.fittings:
            version = build.version_numbered(fitting.version)
            if version is not None:
                made = fitting.made_of
                edge = edge_of(build, made.edge_bone) if made.boned else build.practice.bare_edge_n_m2
                bare = fitting.model_copy(update=_UNTOLD)
                tried.append(TriedOn(bare, version.pattern, edge, widened(build, fitting)))
        return cls(measured, GARMENT_KINDS[build.kind].tied, build.target.job, build.practice, tuple(tried))


def infer_belief(inputs: InferenceInputs) -> Belief:
    """The posterior after all fittings."""
    return infer(inputs.measured, tried_on(inputs))


def read_upside_down(inputs: InferenceInputs) -> int | None:
    """The number of the last fitting, if its gaps go with all that was known before it only from the other end."""
    tried = tried_on(inputs)
    if not tried or len(tried[-1].z_mm) < 3:
        return None
    last = tried[-1]
    expected = fit(last.lacing, infer(inputs.measured, tried[:-1]).body)
    off = np.array([expected.gap_at(z) for z in last.z_mm])
    order = np.argsort(last.z_mm)
    plain = float(np.sqrt(np.mean((last.gap_mm - off) ** 2)))
    turned = float(np.sqrt(np.mean((last.gap_mm[order][::-1] - off[order]) ** 2)))
    return last.number if plain > _FLIPPED_MM and turned < _FLIPPED_SHARE * plain else None


def tried_on(inputs: InferenceInputs) -> list[Tried]:
    """Every fitting as the estimate takes it."""
    return [_tried(inputs, one) for one in inputs.tried]


def too_thin(build: Build, fitting: Fitting) -> bool:
    """Whether a mock-up's cloth was thinner than half the final strength layer."""
    return fitting.made_of.stack.strength_mm < build.layers.strength_mm / 2


def widened(build: Build, fitting: Fitting) -> float:
    """By how much what this mock-up lacked widens every spread: no bones ×2, cloth thinner than half ×1.5."""
    wide = 1.0 if fitting.made_of.boned else build.practice.unboned_wider
    return wide * (build.practice.thin_wider if too_thin(build, fitting) else 1.0)


def _tried(inputs: InferenceInputs, one: TriedOn) -> Tried:
    practice, fitting, pattern, wide = inputs.practice, one.fitting, one.pattern, one.wider
    made = fitting.made_of
    lacing = Lacing(
        pattern=pattern,
        stack=made.stack,
        edge_n_m2=one.edge_n_m2,
        pull_n_per_m=practice.neck_pull_n_per_m if inputs.tied else pull_of(fitting.pull, inputs.job, practice),
        practice=practice,
    )
    held = made.closing != "open"
    usual = practice.pinned_spread_mm if made.closing == "pinned" else practice.ruler_spread_mm
    readings = fitting.readings if held else ()

    def inside(z: float) -> float:
        return min(max(z, pattern.hem.cb_mm), pattern.top.cb_mm)

    def height(level: str) -> float:
        return inside(inputs.measured[level].back_mm)  # type: ignore[index]

    words = [(height(said.level), *WORDS[said.word]) for said in fitting.words]
    words += [(inside(tap.z_mm), *WORDS[tap.word]) for tap in fitting.taps if tap.off_mm is None]
    offs = [(height(said.level), said.off_mm, practice.pinch_spread_mm) for said in fitting.stand_offs]
    offs += [(inside(tap.z_mm), tap.off_mm, practice.pinch_spread_mm) for tap in fitting.taps if tap.off_mm is not None]
    offs += _pinched(fitting.pinches, pattern, practice.pinch_spread_mm)
    return Tried(
        number=fitting.number,
        lacing=lacing,
        z_mm=np.array([reading.z_mm for reading in readings]),
        gap_mm=np.array([reading.gap_mm for reading in readings]),
        spread_mm=wide * np.array([reading.spread_mm or usual for reading in readings]),
        words=tuple((z, share, spread * practice.word_spread * wide) for z, share, spread in words if held),
        stand_off_mm=tuple((z, off, spread * wide) for z, off, spread in offs if held),
        laced_mm=tuple(
            (height(said.level), said.girth_mm, practice.laced_spread_mm * wide) for said in fitting.laced if held
        ),
        rides_mm=None if fitting.rides_mm is None else (fitting.rides_mm, practice.ride_seen_mm),
        pull_spread=practice.pinned_pull_spread if made.closing == "pinned" else practice.pull_spread,
    )


def _pinched(pinches: tuple[Pinch, ...], pattern: Pattern, spread_mm: float) -> list[tuple[float, float, float]]:
    """Stand-off of the whole girth where pinches peak; those at one place, on several seams, count together."""
    low, high = min(pattern.hem.heights()), max(pattern.top.heights())
    edge = pattern.hem.cb_mm, pattern.top.cb_mm
    found: list[tuple[float, float, float]] = []
    for z in sorted((min(max((one.from_mm + one.to_mm) / 2, edge[0]), edge[1])) for one in pinches):
        if found and z - found[-1][0] < _ONE_PLACE_MM:
            continue
        amounts = [float(pinch_profile(one, np.array([z]), low, high)[0]) for one in pinches]
        some = sum(abs(amount) > 0.5 for amount in amounts)
        found.append((z, 2 * sum(amounts), spread_mm * max(1, some) ** 0.5))
    return found
