"""The thread: how each stage of a build stands, and the next thing to do."""

from typing import Literal

from fuseau.craft.base.findings import Message, Stage, message
from fuseau.craft.base.record import Record
from fuseau.craft.making.steps import trim_step
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.stages.make import done_elsewhere, steps_of

State = Literal["empty", "in hand", "settled", "look again"]


_NOTHING = message("thread.nothing")


class Knot(Record):
    """One stage on the thread: its state, and a note of a few words."""

    stage: Stage
    state: State
    note: Message


class Thread(Record):
    """All stages, and what to do next, where."""

    knots: tuple[Knot, ...]
    next_stage: Stage
    next_step: Message


def thread(build: Build, planned: Plan) -> Thread:
    """How far a build is. Findings of severity stop or caution make a stage one to look at again."""
    ready = planned.pattern is not None
    current = build.current
    tried = [fitting for fitting in build.fittings if current and fitting.version == current.number]
    troubled = {finding.stage for finding in planned.findings if finding.severity in ("stop", "caution")}
    measured = sum(bool(build.wearer[name].readings_mm) for name in GARMENT_KINDS[build.kind].levels)

    def knot(stage: Stage, state: State, note: Message) -> Knot:
        return Knot(stage=stage, state="look again" if stage in troubled and state != "empty" else state, note=note)

    brief_done = bool(build.brief.needed_on)
    day = _NOTHING if brief_done else message("thread.no_day")
    hardware: State = ("settled" if current else "in hand") if ready else "empty"
    boned = message("thread.bones", count=planned.boning.count) if planned.boning else _NOTHING
    holes = message("thread.holes", count=planned.holes.count) if planned.holes else _NOTHING
    if ready and not build.back.laced:
        holes = message("thread.back_opens" if build.front.line == "CB" else "thread.back_seam")
    girths: State = "empty" if not measured else "in hand" if planned.missing else "settled"
    knots = (
        knot("brief", "settled" if brief_done else "in hand", day),
        knot("wearer", girths, message("thread.girths", count=measured)),
        knot("pattern", "settled" if current else "in hand" if ready else "empty", _version_note(build, ready)),
        knot("mockups", _fitting_state(build, planned), _fitting_note(build, planned, len(tried))),
        knot("bones", hardware, boned),
        knot("front", hardware, _opening_note(planned) if ready else _NOTHING),
        knot("back", hardware, holes),
        knot("layers", hardware, _plies_note(build) if ready else _NOTHING),
        knot("trims", *_trimmed(build, planned)),
        knot("cut", _cut_state(build) if ready else "empty", _cloths_note(build) if ready else _NOTHING),
        knot("make", *_making(build, planned)),
        knot("record", "settled" if build.record.finished_on else "in hand" if ready else "empty", _worn_note(build)),
    )
    stage, step = _next(planned)
    return Thread(knots=knots, next_stage=stage, next_step=step)


def _opening_note(planned: Plan) -> Message:
    busk, opening = planned.busk, planned.opening
    if busk and busk.length_mm:
        return message("thread.busk", length_mm=busk.length_mm)
    if opening is None or opening.kind == "none":
        return message("thread.no_opening")
    return message("thread.opening" if opening.top_z_mm is not None else "thread.opening_lacks", kind=opening.kind)


def _worn_note(build: Build) -> Message:
    worn = len(build.record.wears)
    if build.record.finished_on is None and not worn:
        return _NOTHING
    return message("thread.worn", count=worn) if worn else message("thread.finished")


def _making(build: Build, planned: Plan) -> tuple[State, Message]:
    """Settled once every step that counts is done."""
    steps = steps_of(build, planned)
    if not steps:
        return "empty", _NOTHING
    left_out = {omitted.step for omitted in build.make.left_out}
    done = {one.step for one in build.make.done} | done_elsewhere(build, steps)
    counted = [step for step in steps if step.key not in left_out and not step.later]
    left = sum(step.key not in done for step in counted)
    state: State = "in hand" if left else "settled"
    return state, message("thread.steps", done=len(counted) - left, count=len(counted))


def _trimmed(build: Build, planned: Plan) -> tuple[State, Message]:
    """Settled once every trim is put on. Nothing has to be on it: a garment without trims is none the worse."""
    if planned.pattern is None:
        return "empty", _NOTHING
    if planned.trims is None:
        return "empty", message("thread.no_trims")
    steps = [step for step in steps_of(build, planned) if step.key in {trim_step(key) for key in build.trims.keys}]
    done = {one.step for one in build.make.done} | done_elsewhere(build, steps)
    count = len(build.trims.keys)
    state: State = "settled" if steps and all(step.key in done for step in steps) else "in hand"
    return state, message("thread.trim") if count == 1 else message("thread.trims", count=count)


def _cut_state(build: Build) -> State:
    """Settled once every cloth is cut from the present version; look again where one is from an older one."""
    cloths = build.cloths_to_cut
    done = [build.cut.done.get(cloth) for cloth in cloths]
    now = build.current.number if build.current else None
    if any(one is not None and one.version != now for one in done):
        return "look again"
    return "settled" if cloths <= build.cut_cloths else "in hand"


def _cloths_note(build: Build) -> Message:
    cloths = build.cloths_to_cut
    count = len(cloths)
    if cut := len(cloths & build.cut_cloths):
        return message("thread.cloths_cut", cut=cut, count=count)
    return message("thread.cloth") if count == 1 else message("thread.cloths", count=count)


def _plies_note(build: Build) -> Message:
    count = len(build.layers.plies)
    return message("thread.ply") if count == 1 else message("thread.plies", count=count)


def _version_note(build: Build, ready: bool) -> Message:
    if build.current:
        return message("thread.version", version=build.current.number)
    return message("thread.draft") if ready else _NOTHING


def _fitting_state(build: Build, planned: Plan) -> State:
    if not build.fittings and not build.current:
        return "empty"
    if planned.proposal is not None:
        return "look again"
    if planned.verdict is not None and planned.verdict.word == "look again":
        return "look again"
    done = planned.verdict is not None and planned.verdict.word in ("cut the cloth", "wear it")
    return "settled" if done else "in hand"


def _fitting_note(build: Build, planned: Plan, tried: int) -> Message:
    if build.current is None:
        return _NOTHING
    if planned.proposal is not None:
        return message("thread.proposed", version=build.current.number + 1)
    said = planned.verdict
    if said is not None and said.word == "cut the cloth":
        return message("thread.cut", version=said.version)
    if tried and said is not None and said.probability is not None:
        return message("thread.odds", version=said.version, probability=said.probability)
    return message("thread.try_on", version=build.current.number)


def _next(planned: Plan) -> tuple[Stage, Message]:
    stop = next((finding for finding in planned.findings if finding.severity == "stop"), None)
    if stop is not None and planned.pattern is None:
        return stop.stage, stop.sentence
    if planned.verdict is None:
        return "wearer", message("thread.nothing")
    return "mockups", planned.verdict.sentence
