"""What to do when a step was forgotten, and what lies over its place is done: the cheapest way back (model, 13)."""

from collections.abc import Iterable, Mapping, Sequence
from itertools import product

from fuseau.craft.base.record import Record
from fuseau.craft.making.garment_state import Garment
from fuseau.craft.making.steps import Place, Step, StepKey

_PART = 0.2  # of undoing and doing again: to open what lies over a place at that place alone


class WayBack(Record):
    """How a step that was forgotten is got in after all: what is opened at its place and shut again, and what is undone
    and done again. `minutes` is for all of that, without the step itself.
    """

    step: StepKey
    opened: tuple[StepKey, ...]
    undone: tuple[StepKey, ...]
    minutes: float


def resting_on(garment: Garment, key: StepKey, done: Iterable[StepKey]) -> list[StepKey]:
    """The done steps that rest on a step, directly or by others, the last first: they are undone before it is."""
    there = set(done)
    rests = {key}
    found = []
    for step in _after(garment, there):
        if step.key != key and not rests.isdisjoint(step.needs):
            rests.add(step.key)
            found.append(step.key)
    return found[::-1]


def _after(garment: Garment, done: set[StepKey]) -> list[Step]:
    """The done steps so that each comes after what it needs."""
    left = {step.key: step for step in garment.steps if step.key in done}
    steps: list[Step] = []
    while left:
        ready = [step for step in left.values() if not any(need in left for need in step.needs)]
        if not ready:
            return steps
        for step in ready:
            steps.append(step)
            del left[step.key]
    return steps


def undoing(
    garment: Garment, minutes: Mapping[StepKey, float], key: StepKey, done: Iterable[StepKey]
) -> tuple[tuple[StepKey, ...], float | None]:
    """All that is undone with a step, the last first, and the minutes to undo it and do it again.

    None for the minutes where something of it can't be undone without losing cloth.
    """
    whole = (*resting_on(garment, key, done), key)
    undo = [garment.step(one).undo_min for one in whole]
    if None in undo:
        return whole, None
    return whole, sum(minutes[one] + (by or 0.0) for one, by in zip(whole, undo, strict=True))


def ways_back(
    garment: Garment, minutes: Mapping[StepKey, float], key: StepKey, done: Iterable[StepKey]
) -> list[WayBack]:
    """Ways to get a step in after all that is shut out, the cheapest first.

    Empty where it is not shut out, or where nothing brings it back.
    """
    there = set(done)
    step = garment.step(key)
    shut = garment.shut_groups(step, there)
    ways: list[WayBack] = []
    for places in product(*shut) if shut else ():
        way = _way_back(garment, minutes, step, set(places), there)
        if way is not None and way not in ways:
            ways.append(way)
    return sorted(ways, key=lambda way: way.minutes)


def _way_back(
    garment: Garment, minutes: Mapping[StepKey, float], step: Step, places: set[Place], done: set[StepKey]
) -> WayBack | None:
    """By every one of these places, each opened there again where that is quicker than to undo what shut it."""
    opened: dict[StepKey, float] = {}
    undone: dict[StepKey, float] = {}
    for place in sorted(places):
        for closer in garment.closers(place, done):
            whole, undoing_min = undoing(garment, minutes, closer, done)
            there = _opened_there(garment, minutes, closer, place, step.through, whole[:-1])
            if there is not None and (undoing_min is None or sum(there.values()) <= undoing_min):
                opened |= there
            elif undoing_min is not None:
                undone |= {one: minutes[one] + (garment.step(one).undo_min or 0.0) for one in whole}
            else:
                return None
    opened = {one: by for one, by in opened.items() if one not in undone}
    whole_min = sum(opened.values()) + sum(undone.values())
    return WayBack(step=step.key, opened=tuple(opened), undone=tuple(undone), minutes=whole_min)


def _opened_there(
    garment: Garment,
    minutes: Mapping[StepKey, float],
    closer: StepKey,
    place: Place,
    through: int,
    over: Sequence[StepKey],
) -> dict[StepKey, float] | None:
    """What is opened to get at one place, and for how long; None where that can't be."""
    again = next(shut.open_again_min for shut in garment.step(closer).shuts if shut.place == place)
    if again is None:
        return None
    found = {closer: again * through}
    for key in over:
        undo = garment.step(key).undo_min
        if undo is None:
            return None
        found[key] = _PART * (undo + minutes[key])
    return found
