"""The thread: how each stage of a build stands, and the next thing to do."""

from typing import Literal

from fuseau.craft.base.findings import Stage
from fuseau.craft.base.record import Record
from fuseau.craft.closures.front import Opening
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.document.build import Build
from fuseau.planning.plan import Plan

State = Literal["empty", "in hand", "settled", "look again"]


class Knot(Record):
    """One stage on the thread: its state, and a note of a few words."""

    stage: Stage
    state: State
    note: str


class Thread(Record):
    """All stages, and what to do next, where."""

    knots: tuple[Knot, ...]
    next_stage: Stage
    next_step: str


def thread(build: Build, planned: Plan) -> Thread:
    """How far a build is. Findings of severity stop or caution make a stage one to look at again."""
    ready = planned.pattern is not None
    current = build.current
    tried = [fitting for fitting in build.fittings if current and fitting.version == current.number]
    troubled = {finding.stage for finding in planned.findings if finding.severity in ("stop", "caution")}
    measured = sum(bool(build.wearer[name].readings_mm) for name in KINDS[build.kind].levels)

    def knot(stage: Stage, state: State, note: str) -> Knot:
        return Knot(stage=stage, state="look again" if stage in troubled and state != "empty" else state, note=note)

    brief_done = bool(build.brief.needed_on)
    hardware: State = "settled" if current else "in hand"
    busk, opening = planned.busk, planned.opening
    knots = (
        knot("brief", "settled" if brief_done else "in hand", "" if brief_done else "no day yet"),
        knot("wearer", "empty" if not measured else "in hand" if planned.missing else "settled", f"{measured} girths"),
        knot("pattern", "settled" if current else "in hand" if ready else "empty", _version_note(build, ready)),
        knot("mockups", _fitting_state(build, planned, bool(tried)), _fitting_note(build, planned, len(tried))),
        knot("bones", hardware if ready else "empty", f"{planned.boning.count} bones" if planned.boning else ""),
        knot(
            "front",
            hardware if ready else "empty",
            f"{busk.length_mm:.0f} mm busk" if busk and busk.length_mm else _opening_word(opening) if ready else "",
        ),
        knot("back", hardware if ready else "empty", f"{planned.holes.count} holes" if planned.holes else ""),
    )
    stage, step = _next(build, planned, bool(tried))
    return Thread(knots=knots, next_stage=stage, next_step=step)


def _opening_word(opening: Opening | None) -> str:
    if opening is None or opening.kind == "none":
        return "no opening"
    return opening.kind if opening.top_z_mm is not None else f"no {opening.kind}"


def _version_note(build: Build, ready: bool) -> str:
    if build.current:
        return f"v{build.current.number}"
    return "draft" if ready else ""


def _fitting_state(build: Build, planned: Plan, tried: bool) -> State:
    if not build.fittings and not build.current:
        return "empty"
    if planned.proposal is not None:
        return "look again"
    return "settled" if tried else "in hand"


def _fitting_note(build: Build, planned: Plan, tried: int) -> str:
    if planned.proposal is not None and build.current:
        return f"v{build.current.number + 1} proposed"
    if tried and build.current:
        return f"v{build.current.number} fits"
    return f"try v{build.current.number} on" if build.current else ""


def _next(build: Build, planned: Plan, tried: bool) -> tuple[Stage, str]:
    stop = next((finding for finding in planned.findings if finding.severity == "stop"), None)
    if stop is not None and planned.pattern is None:
        return stop.stage, stop.sentence
    if build.current is None:
        return "mockups", "Cut version 1 for a mock-up."
    number = build.current.number
    if planned.proposal is not None:
        return "mockups", f"Look at the change for version {number + 1}."
    if not tried:
        return "mockups", f"Try version {number} on and read the gap."
    return "bones", f"Version {number} fits as wished: cut the bones."
