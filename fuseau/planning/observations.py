"""What was noted at a fitting, as observations along the lacing edge (model, section 6)."""

import numpy as np

from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fit.target import pull_of
from fuseau.craft.fitting.inference import WORDS, Tried
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.document.build import Build
from fuseau.document.fittings import Fitting, Pinch
from fuseau.planning.fitted import pinch_profile
from fuseau.planning.pattern import edge_of

_ONE_PLACE_MM = 30.0  # pinches whose middles lie closer than this are one stand-off


def tried_on(build: Build, measured: Body) -> list[Tried]:
    """Every fitting of a version that exists, as the estimate takes it."""
    found = []
    for fitting in build.fittings:
        version = build.version_numbered(fitting.version)
        if version is not None:
            found.append(_tried(build, fitting, version.pattern, measured))
    return found


def widened(build: Build, fitting: Fitting) -> float:
    """By how much what this mock-up lacked widens every spread: no bones ×2, cloth thinner than half ×1.5."""
    wide = 1.0 if fitting.made_of.boned else build.practice.unboned_wider
    thin = fitting.made_of.stack.strength_mm < build.layers.strength_mm / 2
    return wide * (build.practice.thin_wider if thin else 1.0)


def _tried(build: Build, fitting: Fitting, pattern: Pattern, measured: Body) -> Tried:
    practice, made = build.practice, fitting.made_of
    tied = KINDS[build.kind].tied
    lacing = Lacing(
        pattern=pattern,
        stack=made.stack,
        edge_n_m2=edge_of(build, made.edge_bone) if made.boned else practice.bare_edge_n_m2,
        pull_n_per_m=practice.neck_pull_n_per_m if tied else pull_of(fitting.pull, build.target.job, practice),
        practice=practice,
    )
    wide, held = widened(build, fitting), made.closing != "open"
    usual = practice.pinned_spread_mm if made.closing == "pinned" else practice.ruler_spread_mm
    readings = fitting.readings if held else ()

    def inside(z: float) -> float:
        return min(max(z, pattern.hem.cb_mm), pattern.top.cb_mm)

    def height(level: str) -> float:
        return inside(measured[level].back_mm)  # type: ignore[index]

    words = [(height(one.level), *WORDS[one.word]) for one in fitting.words]
    words += [(inside(tap.z_mm), *WORDS[tap.word]) for tap in fitting.taps if tap.off_mm is None]
    offs = [(height(one.level), one.off_mm, practice.pinch_spread_mm) for one in fitting.stand_offs]
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
            (height(one.level), one.girth_mm, practice.laced_spread_mm * wide) for one in fitting.laced if held
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
