"""Telling a case as a maker would: what was made, read and decided, and what she should be told."""

from __future__ import annotations

import datetime
from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any

from fuseau.commands.fittings import log_fitting, set_line
from fuseau.commands.patterns import edit_pattern
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.fit.fit import Fit
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.thread import thread
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan
from tests.saying import said

DAY = datetime.date(2026, 11, 2)
FINAL_CLOTH = {"stack": {"strength": "coutil", "fashion_mm": 0.35, "lining_mm": 0.25}, "edge_bone": "flat_12"}
Step = Callable[[Build], Build]
By = float | Callable[[float], float]
Range = tuple[float, float]
_ALIKE_MM = 0.05


def read(by: By = 0.0, count: int = 5, **fields: Any) -> Step:
    """A fitting whose gaps lie `by` mm off what was expected (or a function of the height), and what else it had."""

    def logged(build: Build) -> Build:
        planned = plan(build)
        given = {"pull": "close", "readings": gaps(planned, by, count), **fields}
        return log_fitting(build, planned, given, DAY, "cm")

    return logged


def again_read(by: By = 0.0, count: int = 5, **fields: Any) -> Step:
    """The same version tried on another evening, its gaps `by` mm off what was expected before the first."""

    def logged(build: Build) -> Build:
        first = build.model_copy(update={"fittings": build.fittings[:-1]})
        given = {"pull": "close", "readings": gaps(plan(first), by, count), **fields}
        return log_fitting(build, plan(build), given, DAY, "cm")

    return logged


def at_two_pulls(by: By = 0.0, lighter: float = 12.0, **fields: Any) -> Step:
    """A fitting read at the pull it is worn with, and pulled lightly, `lighter` mm wider."""

    def logged(build: Build) -> Build:
        light = [{**one, "gap_mm": one["gap_mm"] + lighter} for one in gaps(plan(build), by)]
        return read(by, also=[{"pull": "light", "readings": light}], **fields)(build)

    return logged


def finished(by: By = 0.0, **fields: Any) -> Step:
    """The finished garment tried on, its gaps `by` mm off what it was planned to have."""

    def logged(build: Build) -> Build:
        planned = plan(build)
        made = {**build.mock_up.model_dump(), "stack": build.stack.model_dump(), "edge_bone": build.bones.lacing_edge}
        readings = gaps(planned, by, of=planned.final)
        given = {"pull": build.target.pull, "made_of": made, "finished": True, "readings": readings, **fields}
        return log_fitting(build, planned, given, DAY, "cm")

    return logged


def pinned(by: By | None = 0.0, **fields: Any) -> Step:
    """A mock-up that has no lace, pinned behind `by` mm off where it was expected; None: on the line of its seam."""

    def logged(build: Build) -> Build:
        planned = plan(build)
        made = {**build.mock_up.model_dump(), "closing": "pinned"}
        readings = [] if by is None else gaps(planned, by, least=-100)
        return log_fitting(
            build, planned, {"pull": "close", "made_of": made, "readings": readings, **fields}, DAY, "cm"
        )

    return logged


def gaps(planned: Plan, by: By, count: int = 5, least: float = 0.0, of: Fit | None = None) -> list[dict[str, float]]:
    """Gaps at even heights of the lacing edge, as somebody writes them down."""
    fit = of or planned.mock_up
    assert fit is not None
    low, high = fit.z_mm[0] + 8, fit.z_mm[-1] - 8
    heights = [round(low + (high - low) * i / (count - 1)) for i in range(count)]
    off = by if callable(by) else lambda z: by
    return [{"z_mm": z, "gap_mm": max(least, float(round(fit.gap_at(z) + off(z))))} for z in heights]


def upwards(top: float, bottom: float) -> Callable[[float], float]:
    """So much off at the top and so much at the bottom of a garment about the waist, evenly between."""
    return lambda z: bottom + (top - bottom) * min(max((z + 110) / 210, 0.0), 1.0)


def cut(build: Build) -> Build:
    """Version 1 is cut for a mock-up."""
    return cut_version(build, plan(build), DAY)


def accepted(build: Build) -> Build:
    """What is proposed becomes the next version; where nothing is, the same stands."""
    planned = plan(build)
    return accept(build, planned, DAY) if planned.proposal else build


def by_hand(**change: Any) -> Step:
    """An edit of the pattern by hand."""
    return lambda build: edit_pattern(build, plan(build), [change], DAY, "cm")


def line(seam: int, level: str, cf_side_mm: float, cb_side_mm: float) -> Step:
    """A line of the change set by hand."""
    given = {"seam": seam, "level": level, "cf_side_mm": f"{cf_side_mm} mm", "cb_side_mm": f"{cb_side_mm} mm"}
    return lambda build: set_line(build, plan(build), given, "cm")


def wished(**fields: Any) -> Step:
    """A wish changed on the way."""
    return lambda build: edited(build, **fields)


@dataclass(frozen=True)
class Told:
    """A case. `change` is by level the girth of the change proposed (mm, least and most), `seams` that of one seam on
    each half, at a level or at a place (None); a level or a seam that is not named may do as it likes. `change` None:
    nothing is proposed.

    `verdict` are the words it may end with; `says` and `never` stand in what she is told.
    """

    kind: str
    steps: tuple[Step, ...]
    wishes: dict[str, Any] = field(default_factory=dict)
    change: dict[str, Range] | None = field(default_factory=dict)
    seams: dict[tuple[int, str | None], Range] = field(default_factory=dict)
    gap_mm: Range | None = None
    verdict: tuple[str, ...] = ()
    says: tuple[str, ...] = ()
    never: tuple[str, ...] = ()
    also: Callable[[Build, Plan], None] | None = None

    def build(self) -> Build:
        """The case, made."""
        found = built(self.kind, **self.wishes)
        for step in self.steps:
            found = step(found)
        return found


def everything_said(build: Build, planned: Plan) -> str:
    """All sentences that she would read of a build."""
    strand = thread(build, planned)
    found = [strand.next_step, *(knot.note for knot in strand.knots), *(one.sentence for one in planned.findings)]
    if planned.verdict:
        found.append(planned.verdict.sentence)
    if planned.proposal:
        found.append(planned.proposal.reason)
    return "\n".join(said(one) for one in found)


def holds(told: Told, build: Build) -> Plan:
    """The plan of a case that was made, with all that it should tell seen in it."""
    planned = plan(build)
    assert not planned.unmakeable
    if told.change is None:
        assert planned.proposal is None
    for level, (least, most) in (told.change or {}).items():
        change = planned.proposal.sewn_change_mm[level] if planned.proposal else 0.0
        assert least - _ALIKE_MM <= change <= most + _ALIKE_MM, (level, change)
    for (seam, level), (least, most) in told.seams.items():
        assert planned.proposal is not None
        lines = [one for one in planned.proposal.lines if (one.seam, one.level) == (seam, level)]
        total = sum(one.cf_side_mm + one.cb_side_mm for one in lines)
        assert least - _ALIKE_MM <= total <= most + _ALIKE_MM, lines
    if told.gap_mm:
        settled = (planned.proposal or planned).final
        assert settled is not None
        assert told.gap_mm[0] <= settled.shape.mean_mm <= told.gap_mm[1]
    if told.verdict:
        assert planned.verdict is not None
        assert planned.verdict.word in told.verdict
    heard = everything_said(build, planned)
    for words in told.says:
        assert words in heard
    for words in told.never:
        assert words not in heard
    if told.also:
        told.also(build, planned)
    return planned
