"""Sweeps of the heart: one thing moved in small steps, and the worst step, and every turn, of what follows.

By the core alone: the belief, the girths to sew and the change proposed, without bones, plies and paper. A sweep looks
coarsely first, and bisects where an answer moved by more than its steps allow, down to a step of the sweep.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, field

import numpy as np

from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import cut_version
from fuseau.craft.fit.fit import Fit, fit
from fuseau.document.build import Build
from fuseau.planning.cache import StageCache
from fuseau.planning.garment.lacings import final_lacing, mock_up_lacing
from fuseau.planning.pipeline import believed
from fuseau.planning.stages.pattern import AimInputs, aim_pattern
from tests.cases.told import DAY
from tests.kinds import built
from tests.plans import plan

KEPT = StageCache(most=32)


@dataclass(frozen=True)
class Drafted:
    """The girths to sew on the levels that the garment covers, from the lowest up (mm), and how it then settles."""

    levels: tuple[str, ...]
    sewn_mm: np.ndarray
    final: Fit
    pull_n_per_m: float


def drafted(build: Build) -> Drafted:
    """What would be sewn for a build as it stands, with all that its fittings taught."""
    belief, _ = believed(build, KEPT)
    aimed, pattern = aim_pattern(AimInputs.of(build, belief.body))
    found = fit(final_lacing(build, pattern, aimed), belief.body)
    covered = [level.name for level in reversed(found.levels) if level.gap_mm is not None]
    heights = np.array([level.side_mm for level in belief.body if level.name in covered])
    return Drafted(tuple(covered), pattern.shape.sewn_girth(heights), found, aimed.pull_n_per_m)


def cut(kind: str, **fields: object) -> Build:
    """A build of a kind whose first version is cut."""
    build = built(kind, **fields)
    return cut_version(build, plan(build), DAY)


def read(build: Build, gap_mm: Callable[[float], float], *, finished: bool = False) -> Build:
    """The build with a fitting whose gaps are so much off what was expected, at five heights; nothing is rounded."""
    planned = plan(build)
    assert planned.aim is not None
    assert build.current is not None
    body, pattern = planned.body, build.current.pattern
    lacing = final_lacing(build, pattern, planned.aim) if finished else mock_up_lacing(build, pattern)
    expected = fit(lacing, body)
    heights = np.linspace(expected.z_mm[0] + 6, expected.z_mm[-1] - 6, 5)
    readings = [{"z_mm": z, "gap_mm": max(0.0, expected.gap_at(z) + gap_mm(z))} for z in map(float, heights)]
    given: dict[str, object] = {"pull": build.target.pull, "readings": readings}
    if finished:
        made = {**build.mock_up.model_dump(), "stack": build.stack.model_dump(), "edge_bone": build.bones.lacing_edge}
        given |= {"made_of": made, "finished": True}
    return log_fitting(build, planned, given, DAY, "cm")


@dataclass
class Swept:
    """What a sweep found: the worst step (of a step of the sweep) with where it was, and every turn."""

    name: str
    worst_mm: float = 0.0
    at: tuple[float, str] = (0.0, "")
    turns: list[tuple[float, str, float]] = field(default_factory=list)


def sweep(
    name: str,
    made: Callable[[float], Drafted],
    low: float,
    high: float,
    step: float,
    allowed_mm: float,
    *,
    rises: Sequence[str] = (),
    falls: Sequence[str] = (),
    turn_mm: float = 0.5,
    looks: int = 9,
) -> Swept:
    """Look at `looks` values between two ends, then at each half of what moved by more than its steps allow.

    `rises`, `falls`: levels whose sewn girth never goes down or up by more than `turn_mm` from one look to the next.
    """
    found = Swept(name)
    kept: dict[float, Drafted] = {}

    def at(value: float) -> Drafted:
        if value not in kept:
            kept[value] = made(value)
        return kept[value]

    def between(first: float, last: float) -> None:
        before, after = at(first), at(last)
        moved = after.sewn_mm - before.sewn_mm
        steps = max(1, round((last - first) / step))
        k = int(np.argmax(np.abs(moved)))
        if steps > 1 and abs(moved[k]) > allowed_mm * steps:
            middle = first + step * (steps // 2)
            between(first, middle)
            between(middle, last)
            return
        if abs(moved[k]) / steps > found.worst_mm:
            found.worst_mm, found.at = abs(float(moved[k])) / steps, (first, before.levels[k])
        for i, level in enumerate(before.levels):
            if (level in rises and moved[i] < -turn_mm) or (level in falls and moved[i] > turn_mm):
                found.turns.append((first, level, float(moved[i])))

    values = low + step * np.round(np.linspace(0, (high - low) / step, looks))
    for first, last in zip(values, values[1:], strict=False):
        between(float(first), float(last))
    return found
