"""What would buy odds where a day is in danger: choices that save time, each planned through (model, section 13)."""

import datetime
from collections.abc import Callable, Mapping, Sequence
from dataclasses import replace

from fuseau.craft.base.findings import Change, Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.making.choices import LeftOut
from fuseau.craft.making.hours import Hours
from fuseau.craft.making.rates import Rate
from fuseau.craft.materials.catalogue import GROMMETS
from fuseau.craft.materials.minutes import Work
from fuseau.document.build import Build
from fuseau.document.shelf import Shelf
from fuseau.planning.plan import Plan
from fuseau.planning.stages.make import make_up
from fuseau.planning.workshop.schedule import AtWork, odds_of

Changed = Callable[[Build, Sequence[Change]], tuple[Build, Plan]]
_LEAST_PANELS = 4


class Gain(Record):
    """A choice that saves time: what it saves, and the odds with it and without. `leave_out` are steps left out."""

    title: Message
    cost: Message
    minutes: float
    probability: float
    before: float
    changes: tuple[Change, ...] = ()
    leave_out: tuple[str, ...] = ()


def gains(
    at_work: Sequence[AtWork],
    build_id: str,
    shelf: Shelf,
    hours: Hours,
    today: datetime.date,
    known: Mapping[Work, Rate],
    changed: Changed,
    tell: Callable[[float], None] = lambda share: None,
) -> tuple[Gain, ...]:
    """Choices of a build that make it ready sooner, those first that buy most odds.

    Empty for one without a day, or that is put away. `changed` makes changes and plans what follows; what can't be made
    is not told.
    """
    here = next((one for one in at_work if one.id == build_id), None)
    before = _probability(at_work, build_id, shelf, hours, today, known)
    if here is None or before is None:
        return ()
    had = make_up(here.build, here.planned, known).minutes_left
    found = []
    tried = [*_choices(here, known)]
    for k, (title, cost, changes, leave_out) in enumerate(tried):
        tell(k / len(tried))
        try:
            build, planned = changed(here.build, changes) if changes else (here.build, here.planned)
        except ValueError:
            continue
        if leave_out:
            build = _without(build, leave_out)
        saved = had - make_up(build, planned, known).minutes_left
        if saved < 1:
            continue
        others = [replace(one, build=build, planned=planned) if one.id == build_id else one for one in at_work]
        now = _probability(others, build_id, shelf, hours, today, known)
        if now is not None:
            found.append(
                Gain(
                    title=title,
                    cost=cost,
                    minutes=saved,
                    probability=now,
                    before=before,
                    changes=tuple(changes),
                    leave_out=leave_out,
                )
            )
    return tuple(sorted(found, key=lambda gain: (-round(gain.probability, 2), -gain.minutes)))


def _probability(
    at_work: Sequence[AtWork],
    build_id: str,
    shelf: Shelf,
    hours: Hours,
    today: datetime.date,
    known: Mapping[Work, Rate],
) -> float | None:
    told = odds_of(at_work, shelf, hours, today, known)
    return next((one.probability for one in told if one.build == build_id), None)


def _without(build: Build, steps: Sequence[str]) -> Build:
    there = {omitted.step for omitted in build.make.left_out}
    more = tuple(LeftOut(step=step) for step in steps if step not in there)
    make = build.make.model_copy(update={"left_out": (*build.make.left_out, *more)})
    return build.model_copy(update={"make": make})


def _choices(
    here: AtWork, known: Mapping[Work, Rate]
) -> Sequence[tuple[Message, Message, list[Change], tuple[str, ...]]]:
    """What a maker would change to be ready sooner, as far as it is still open."""
    build, planned = here.build, here.planned
    done = {one.step for one in build.make.done}
    found: list[tuple[Message, Message, list[Change], tuple[str, ...]]] = []

    def offer(code: str, changes: Sequence[Change] = (), leave_out: tuple[str, ...] = (), **given: float | str) -> None:
        found.append((message(f"gain.{code}", **given), message(f"gain.{code}.cost"), list(changes), leave_out))

    if build.make.binding == "by hand" and not {"bind top", "bind hem"} <= done:
        offer("binding", [Change(at="make.binding", value="by machine")])
    if build.back.laced and "holes" not in done and not GROMMETS[build.back.holes].bought:
        offer("grommets", [Change(at="back.holes", value="grommet_5")])
    panels = len(planned.pattern.panels) if planned.pattern else 0
    if not build.versions and panels > _LEAST_PANELS:
        offer("panels", [Change(at="draft.panels", value=panels - 1)], panels=float(panels - 1))
    if build.layers.method == "floating lining" and "lining in" not in done:
        offer("lining", [Change(at="layers.method", value="flat-lined, inside channels")])
    if build.front.opening == "busk" and "front" not in done:
        offer("zip", [Change(at="front.opening", value="zip")])
    if build.bones.made in ("inside tape", "outside tape") and not any(key.startswith("channels") for key in done):
        offer("channels", [Change(at="bones.made", value="between plies")])
    plan = make_up(build, planned, known)
    optional = tuple(
        step.step.key
        for step in plan.steps
        if step.step.optional and not step.done and not step.step.own and not step.step.later
    )
    basting = tuple(key for key in optional if key.startswith("mount "))
    if basting:
        offer("basting", leave_out=basting)
    if "try on" in optional:
        offer("try_on", leave_out=("try on",))
    return found
