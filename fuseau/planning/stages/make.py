"""The stage of making: every step, which are done, in which order the rest, and what each shuts off (model, 13)."""

from collections.abc import Iterable, Iterator, Mapping, Sequence

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.making.choices import Appointment, Running
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.made_up import UNPICK, MadeUp, alike
from fuseau.craft.making.operations import operations
from fuseau.craft.making.rates import Logged, Rate, Takes, rates, takes, usual_minutes
from fuseau.craft.making.steps import Step, StepKey, cut_bones_step, cut_step
from fuseau.craft.making.ways_back import WayBack, undoing, ways_back
from fuseau.craft.materials.catalogue import GROMMETS, LACES
from fuseau.craft.materials.minutes import MINUTES, Work
from fuseau.craft.plies.methods import METHODS
from fuseau.document.build import Build
from fuseau.planning.fittings.evidence import fittings_of_current
from fuseau.planning.fittings.verdict import Word
from fuseau.planning.plan import Plan
from fuseau.planning.stages.cut import StripWhat, strips_of
from fuseau.planning.stages.pads import pad_works
from fuseau.planning.trims.work import frill_pieces, trim_works

_ONE_MORE: tuple[Word, ...] = ("first mock-up", "one more mock-up", "look again", "measure first")


class StepSeen(Record):
    """A step as it stands. `lacks` are to be done before; `shut_by` is done and shuts it out, `back` are the ways to
    get it in after all. Of one that can be done: `shuts_out` are those that could not be after it. `usual_min` is what
    it takes by the shop's pace.
    """

    step: Step
    minutes: float
    usual_min: float
    spread_ln: float
    done: bool
    elsewhere: bool = False
    possible: bool = False
    allowed: bool = False
    lacks: tuple[StepKey, ...] = ()
    shut_by: tuple[StepKey, ...] = ()
    shuts_out: tuple[StepKey, ...] = ()
    back: tuple[WayBack, ...] = ()
    logged_min: float = 0.0
    undoing: tuple[StepKey, ...] = ()
    undoing_min: float | None = None
    appointment: Appointment | None = None

    @property
    def minutes_left(self) -> float:
        """What it takes less what was logged on it, a tenth of it at least, and its cheapest way back if it has one."""
        back = self.back[0].minutes if self.back else 0.0
        return max(self.minutes - self.logged_min, 0.1 * self.minutes) + back


class MakePlan(Record):
    """The making of a build: its steps as they usually follow, the order of those that are left, and what to do next.

    `instead` could be done now as well. `lost` are steps that something done too soon shuts out, or that need such a
    one: they come first in the order, by their way back.
    """

    steps: tuple[StepSeen, ...] = ()
    order: tuple[StepKey, ...] = ()
    now: StepKey | None = None
    instead: tuple[StepKey, ...] = ()
    lost: tuple[StepKey, ...] = ()
    minutes_left: float = 0.0
    minutes_later: float = 0.0
    left_out: tuple[StepKey, ...] = ()
    running: Running | None = None


def made_up(build: Build, planned: Plan) -> MadeUp | None:
    """How a build is made up; None while nothing is drafted."""
    pattern, layers = planned.pattern, planned.layers
    if pattern is None or layers is None or planned.verdict is None:
        return None
    halves = pattern.panels, pattern.left_panels or pattern.panels
    holes = planned.holes
    return MadeUp(
        panels=len(pattern.panels),
        method=METHODS[build.layers.method],
        plies=layers.plies,
        curved=any(level.name == "bust" for level in planned.levels if level.pressure_kpa is not None),
        bones=planned.bones,
        left_bones=planned.left.bones if planned.left else planned.bones,
        kinds=build.bone_kinds,
        known_cloths=build.cloths,
        opening=planned.opening,
        laced=build.back.laced,
        hole=GROMMETS[build.back.holes],
        holes=2 * len(holes.z_mm) if holes else 0,
        front_holes=2 * len(holes.front_z_mm) if holes else 0,
        modesty=planned.modesty,
        taped=planned.waist_tape is not None,
        gussets=pattern.gussets,
        darts=pattern.darts,
        cups=pattern.cup is not None,
        shoulders=any("shoulder" in piece.name for piece in pattern.pieces),
        top_mm=sum(length_of(panel.top) for half in halves for panel in half),
        hem_mm=sum(length_of(panel.hem) for half in halves for panel in half),
        binding=build.make.binding,
        coats=build.practice.dip_coats if build.bones.ends == "dip" else 0.0,
        mock_ups=1 if planned.verdict.word in _ONE_MORE else 0,
        to_fit=planned.verdict.word == "try it on",
        version=planned.verdict.version,
        materials=_materials(build, planned),
        trims=trim_works(build, planned),
        frills=frill_pieces(build, planned),
        pads=pad_works(build, planned),
    )


def _materials(build: Build, planned: Plan) -> dict[StepKey, tuple[Message, ...]]:
    """Strips, tapes and laces by the step that they go into, each with its size."""
    found: dict[StepKey, list[Message]] = {}
    into: dict[StripWhat, StepKey] = {
        "binding, top": "bind top",
        "binding, hem": "bind hem",
        "waist tape": "waist tape",
        "loops": "holes",
    }
    for strip in strips_of(build, planned):
        what = build.cloths[strip.cloth].label if strip.cloth else "tape"
        for length_mm in dict.fromkeys(round(length) for length in strip.lengths_mm):
            count = sum(round(length) == length_mm for length in strip.lengths_mm)
            given = {"count": float(count), "length_mm": float(length_mm), "width_mm": strip.width_mm}
            if strip.what in into:
                found.setdefault(into[strip.what], []).append(message("step.material.strip", what=what, **given))
    left = planned.left.bones if planned.left else planned.bones
    for bone, count in alike(bone for bone in (*planned.bones, *left) if bone.strip_mm is not None):
        given = {
            "count": float(count),
            "length_mm": bone.path_mm + 2 * build.practice.binding_turn_mm,
            "width_mm": bone.strip_mm or 0.0,
        }
        said = message("step.material.tape", channel=bone.channel, **given)
        found.setdefault(f"channels {bone.panel}", []).append(said)
    if planned.lace_mm:
        what = LACES[build.back.lace].label
        found["lace"] = [message("card.run", what=what, mm=planned.lace_mm)]
    if planned.modesty is not None:
        size = message("step.material.panel", width_mm=planned.modesty.width_mm, height_mm=planned.modesty.height_mm)
        found["modesty"] = [size]
    return {key: tuple(said) for key, said in found.items()}


def steps_of(build: Build, planned: Plan) -> tuple[Step, ...]:
    """Every step of a build with her own among them, those that she leaves out included."""
    made = made_up(build, planned)
    if made is None:
        return ()
    return with_own((*operations(made), *_alter(planned)), build)


def _alter(planned: Plan) -> Iterator[Step]:
    """The finished garment altered, where that is what the verdict says: each seam that changes, on both halves."""
    said, proposal = planned.verdict, planned.proposal
    if said is None or said.word != "alter it" or proposal is None:
        return
    seams = len({line.seam for line in proposal.lines}) or 1
    yield Step(
        key=f"alter {said.version}",
        name=message("step.alter", version=said.version),
        stage="mockups",
        works=(("sew a seam", 2.0 * seams), ("press a seam", 2.0 * seams)),
        fixed_min=2 * seams * UNPICK * MINUTES["sew a seam"],
        why=message("step.alter.why"),
    )


def with_own(steps: tuple[Step, ...], build: Build) -> tuple[Step, ...]:
    """The steps with those of her own put in after what they follow; what they come before needs them."""
    found = list(steps)
    for own in build.make.own:
        known = [step.key for step in found]
        after = [known.index(key) for key in own.after if key in known]
        before = [known.index(key) for key in own.before if key in known]
        at = max(after) + 1 if after else min(before) if before else len(found)
        step = Step(
            key=own.key,
            name=message("step.own", name=own.name),
            stage="make",
            fixed_min=own.minutes,
            waits_h=own.waits_h,
            needs=tuple(key for key in own.after if key in known),
            undo_min=own.minutes,
            optional=message("step.own.optional"),
            own=True,
        )
        found = [_needing(one, own.key) if one.key in own.before else one for one in found]
        found.insert(at, step)
    return tuple(found)


def _needing(step: Step, key: StepKey) -> Step:
    return step.model_copy(update={"needs": (*step.needs, key)})


def done_elsewhere(build: Build, steps: Iterable[Step]) -> set[StepKey]:
    """Steps that other stages tell to be done: cloths that are cut, bones that are cut for all their channels.

    Of a garment that is finished all; of one that was tried on as the finished garment, all but to alter it.
    """
    if build.record.finished_on is not None:
        return {step.key for step in steps}
    tried = fittings_of_current(build)
    if tried and tried[-1].finished:
        return {step.key for step in steps if not step.key.startswith("alter ") and not step.own}
    keys = set()
    cut = {cut_step(cloth) for cloth in build.cut.done}
    bones = {cut_bones_step(bone.kind) for bone in build.bones.cut}
    for step in steps:
        only_behind = bool(build.bones.cut) and not _channels_of(step) and _cuts_bones(step)
        if step.key in cut or only_behind or (step.key in bones and _bones_cut(build, step)):
            keys.add(step.key)
    return keys


def _bones_cut(build: Build, step: Step) -> bool:
    """Whether there is a cut bone for every channel of a kind."""
    return _channels_of(step) <= {one.channel for one in build.bones.cut}


def _channels_of(step: Step) -> set[str]:
    return {str(material.given["channel"]) for material in step.materials if "channel" in material.given}


def _cuts_bones(step: Step) -> bool:
    return any(material.code == "step.material.bone_behind" for material in step.materials)


def logged_of(build: Build) -> tuple[Logged, ...]:
    """Of every step of a build that is done and was logged, the minutes that it took in all."""
    done = {one.step for one in build.make.done} | {cut_step(cloth) for cloth in build.cut.done}
    logged: dict[StepKey, Logged] = {}
    for entry in build.make.log:
        before = logged[entry.step].minutes if entry.step in logged else 0.0
        logged[entry.step] = Logged(works=entry.works, minutes=before + entry.minutes)
    finished = build.record.finished_on is not None
    return tuple(one for key, one in logged.items() if finished or key in done)


def known_rates(builds: Iterable[Build]) -> dict[Work, Rate]:
    """Her rates, from the logs of builds."""
    return rates([logged for build in builds for logged in logged_of(build)])


def make_up(build: Build, planned: Plan, known: Mapping[Work, Rate] | None = None) -> MakePlan:
    """Every step of a build as it stands. Empty while nothing is drafted. `known` are her rates, else the shop's."""
    steps = steps_of(build, planned)
    if not steps:
        return MakePlan(running=build.make.running)
    known = known or rates(())
    left_out = {omitted.step for omitted in build.make.left_out}
    garment = Garment(tuple(step for step in steps if step.key not in left_out))
    elsewhere = done_elsewhere(build, garment.steps)
    done = {one.step for one in build.make.done} | elsewhere
    taken = {step.key: takes(step, known) for step in garment.steps}
    minutes = {key: took.minutes for key, took in taken.items()}
    logged: dict[StepKey, float] = {}
    for entry in build.make.log:
        logged[entry.step] = logged.get(entry.step, 0.0) + entry.minutes
    allowed, possible = set(garment.allowed(done)), set(garment.possible(done))
    lost = garment.lost(done)
    wished = build.make.order
    if lost:
        wished = tuple(dict.fromkeys((*lost, *(wished or (step.key for step in garment.steps)))))
    order = _opened(garment, lost).order(done, wished)
    appointed = {appointment.step: appointment for appointment in build.make.appointments}
    seen = tuple(
        _seen(
            garment,
            step,
            taken[step.key],
            minutes,
            done,
            elsewhere,
            allowed,
            possible,
            logged.get(step.key, 0.0),
            appointed.get(step.key),
        )
        for step in garment.steps
    )
    rest = [one for one in seen if not one.done]
    later = {key for key in order if garment.step(key).later}
    first = [key for key in order if key not in later] or order
    now = first[0] if first else None
    return MakePlan(
        steps=seen,
        order=tuple(order),
        now=now,
        instead=tuple(key for key in order if key in allowed and key != now)[:3],
        lost=tuple(lost),
        minutes_left=sum(one.minutes_left for one in rest if not one.step.later),
        minutes_later=sum(one.minutes_left for one in rest if one.step.later),
        left_out=tuple(
            omitted.step for omitted in build.make.left_out if any(step.key == omitted.step for step in steps)
        ),
        running=build.make.running,
    )


def _opened(garment: Garment, lost: Sequence[StepKey]) -> Garment:
    """The garment as if what is shut out could be reached: by its way back it can."""
    return Garment(
        tuple(step.model_copy(update={"reaches": ()}) if step.key in lost else step for step in garment.steps)
    )


def _seen(
    garment: Garment,
    step: Step,
    takes_it: Takes,
    minutes: Mapping[StepKey, float],
    done: set[StepKey],
    elsewhere: set[StepKey],
    allowed: set[StepKey],
    possible: set[StepKey],
    logged_min: float,
    appointment: Appointment | None,
) -> StepSeen:
    key = step.key
    base = StepSeen(
        step=step,
        minutes=takes_it.minutes,
        usual_min=usual_minutes(step),
        spread_ln=takes_it.spread_ln,
        done=key in done,
        logged_min=logged_min,
        appointment=appointment,
    )
    if key in done:
        whole, undo_min = undoing(garment, minutes, key, done)
        return base.model_copy(update={"elsewhere": key in elsewhere, "undoing": whole[:-1], "undoing_min": undo_min})
    if key in possible:
        return base.model_copy(
            update={
                "possible": True,
                "allowed": key in allowed,
                "shuts_out": () if key in allowed else garment.shuts_out(key, done),
            }
        )
    why = garment.blocked(key, done)
    return base.model_copy(
        update={
            "lacks": why.lacks,
            "shut_by": why.shut_by,
            "back": tuple(ways_back(garment, minutes, key, done)[:3]) if why.shut_by else (),
        }
    )
