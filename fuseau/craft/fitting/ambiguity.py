"""Which is it, her body, the cloth or the pull: what readings cannot tell apart, and what would (model, section 6)."""

import dataclasses
from collections.abc import Container, Sequence
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.record import Record
from fuseau.craft.fitting.seen import Seen, Sight, see
from fuseau.craft.fitting.unknowns import Unknowns, narrowed
from fuseau.craft.materials.cloths import ClothName

Cause = Literal["body", "cloth", "pull"]
Measure = Literal["a tape over it", "a second pull", "a tape under it", "a strip of the cloth"]

_LEAST_MM = 5.0  # a doubt that moves the gap by less is not worth a measurement
_OPPOSED = 0.5  # of what each does to the gap, so much cancels in what was read
_ENOUGH = 0.8  # of what the best measurement takes away: a cheaper one that does is named
_POINTS = 5

# The cheapest first: a minute, two, three, ten.
MEASURES: tuple[Measure, ...] = ("a tape over it", "a second pull", "a tape under it", "a strip of the cloth")


class Ambiguity(Record):
    """What the last fitting cannot tell apart, by how much each could move the gap (mm), and what would tell.

    `left_mm` is what the doubt comes down to once it was measured so.
    """

    fitting: int
    causes: tuple[Cause, ...]
    doubt_mm: float
    cheapest: Measure
    left_mm: float


def which(
    at: Array, unknowns: Unknowns, covariance: Array, sights: Sequence[Sight], stripped: Container[ClothName] = ()
) -> Ambiguity | None:
    """Whether body, cloth and pull can be told apart in the last fitting; None where they can, or nothing was laced.

    `at`, `covariance` are of all unknowns, the evenings' too. What each does to the mean gap is uncertain; where these
    are large and cancel each other, what was read tells only their sum. A measurement that was made, a strip of a cloth
    in `stripped` among them, is not asked for again: None where none is left that would tell.
    """
    if (
        not sights
        or sights[-1].tried.lacing.pinned
        or sights[-1].tried.lacing.tied_mm is not None
        or len(sights[-1].tried.z_mm) < 3
    ):
        return None
    evening = sights[-1].tried.number
    order = next(i for i, sight in enumerate(sights) if sight.tried.number == evening)
    sight = sights[order]
    cloth = unknowns.stretch(sight.tried.lacing.stack.strength)
    seen = see(at, unknowns, sight, order, None)
    mean = seen.gap_by.mean(axis=0)
    groups: dict[Cause, Array] = {cause: np.zeros(len(at)) for cause in ("body", "cloth", "pull")}
    body = [*range(unknowns.between.stop)]
    groups["body"][body] = mean[body]
    groups["cloth"][cloth] = mean[cloth]
    groups["pull"][unknowns.pull(order)] = mean[unknowns.pull(order)]
    spreads = {cause: float(np.sqrt(by @ covariance @ by)) for cause, by in groups.items()}
    causes = tuple(cause for cause in groups if spreads[cause] > _LEAST_MM)
    if len(causes) < 2:
        return None
    apart = sum(spreads[cause] ** 2 for cause in causes)
    whole = sum((groups[cause] for cause in causes), np.zeros(len(at)))
    if float(whole @ covariance @ whole) > _OPPOSED * apart:
        return None
    doubt = float(np.sqrt(apart))
    that_evening = [sight.tried for sight in sights if sight.tried.number == evening]
    made: dict[Measure, bool] = {
        "a tape over it": any(one.laced_mm for one in that_evening),
        "a second pull": len(that_evening) > 1,
        "a tape under it": any(one.under_mm for one in that_evening),
        "a strip of the cloth": sight.tried.lacing.stack.strength in stripped,
    }
    left = {
        measure: _after(measure, at, unknowns, covariance, sight, order, seen, groups, causes)
        for measure in MEASURES
        if not made[measure]
    }
    if not left:
        return None
    best = min(left.values())
    cheapest = next(measure for measure in left if doubt - left[measure] >= _ENOUGH * (doubt - best))
    if doubt - left[cheapest] < 0.5:
        return None
    return Ambiguity(fitting=evening, causes=causes, doubt_mm=doubt, cheapest=cheapest, left_mm=left[cheapest])


def _after(
    measure: Measure,
    at: Array,
    unknowns: Unknowns,
    covariance: Array,
    sight: Sight,
    order: int,
    seen: Seen,
    groups: dict[Cause, Array],
    causes: tuple[Cause, ...],
) -> float:
    """What the doubt comes down to (mm) once this was measured, by the derivatives of the settled garment."""
    practice = unknowns.practice
    points = np.linspace(0, len(sight.z) - 1, _POINTS).astype(int)
    known = covariance
    if measure == "a strip of the cloth":
        rows = np.zeros((1, len(at)))
        rows[0, unknowns.stretch(sight.tried.lacing.stack.strength)] = np.exp(
            at[unknowns.stretch(sight.tried.lacing.stack.strength)]
        )
        spreads = np.array([practice.strip_spread])
    elif measure == "a second pull":
        lacing = sight.tried.lacing
        softer = dataclasses.replace(lacing, pull_n_per_m=practice.light_pull_n_per_m)
        other = see(
            at, unknowns, Sight(dataclasses.replace(sight.tried, lacing=softer), sight.prior, sight.nodes), order, None
        )
        pull = unknowns.pull(order)
        own = np.zeros((_POINTS, 1))
        own[:, 0] = other.gap_by[points, pull]
        shared = other.gap_by[points].copy()
        shared[:, pull] *= practice.pulls_together
        free = practice.pull_spread**2 * (1 - practice.pulls_together**2)
        spread = np.hypot(practice.ruler_spread_mm, practice.model_spread_mm)
        noise = spread**2 * np.eye(_POINTS) + free * own @ own.T
        return _doubt(narrowed(known, shared, noise), groups, causes)
    else:
        rows = seen.hoop_by[points]
        spreads = np.full(_POINTS, practice.laced_spread_mm)
    return _doubt(narrowed(known, rows, np.diag(np.square(spreads))), groups, causes)


def _doubt(covariance: Array, groups: dict[Cause, Array], causes: tuple[Cause, ...]) -> float:
    return float(np.sqrt(sum(groups[cause] @ covariance @ groups[cause] for cause in causes)))
