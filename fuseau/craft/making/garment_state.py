"""The garment as a state: which steps are done, which places they have shut, and what can still be done (model, 13).

Doing a step only ever adds to what is done and to what is shut. So what is left can be finished if and only if there is
an order of it in which each step finds done what it needs, and open what it reaches. A step that shuts nothing never
spoils that: all such are done first; only among those that shut something is there a choice, and that is searched. An
order that takes a step only where the rest can still be finished after it never gets stuck.
"""

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from functools import cached_property

from fuseau.craft.base.record import Record
from fuseau.craft.making.steps import Place, Step, StepKey


class Blocked(Record):
    """Why a step can't be done now: steps that are still to be done before, and done ones that shut it out."""

    lacks: tuple[StepKey, ...] = ()
    shut_by: tuple[StepKey, ...] = ()


@dataclass(frozen=True)
class Garment:
    """A garment by its steps, in their usual order. Which of them are done is given to each question.

    A step that needs one which is not among them needs nothing for it: that one was left out. `done` may name steps
    that are not among them.
    """

    steps: tuple[Step, ...]

    @cached_property
    def at(self) -> dict[StepKey, int]:
        """The place of each step."""
        return {step.key: i for i, step in enumerate(self.steps)}

    def step(self, key: StepKey) -> Step:
        """The step that is known by a key. Raises KeyError where there is none."""
        return self.steps[self.at[key]]

    @cached_property
    def _places(self) -> dict[Place, int]:
        """A bit for every place that some step shuts."""
        places = dict.fromkeys(shuts.place for step in self.steps for shuts in step.shuts)
        return {place: 1 << i for i, place in enumerate(places)}

    @cached_property
    def _shuts(self) -> list[int]:
        return [sum({self._places[shut.place] for shut in step.shuts}) for step in self.steps]

    @cached_property
    def _needs(self) -> list[int]:
        return [sum(1 << self.at[key] for key in set(step.needs) if key in self.at) for step in self.steps]

    @cached_property
    def _needed_by(self) -> list[list[int]]:
        found: list[list[int]] = [[] for _ in self.steps]
        for i, step in enumerate(self.steps):
            for key in set(step.needs):
                if key in self.at:
                    found[self.at[key]].append(i)
        return found

    @cached_property
    def _reaches(self) -> list[tuple[int, ...]]:
        """Of each step the groups of places of which one has to be open, those without one that nothing shuts."""
        return [
            tuple(
                sum({self._places[place] for place in group})
                for group in step.reaches
                if all(place in self._places for place in group)
            )
            for step in self.steps
        ]

    def _mask(self, done: Iterable[StepKey]) -> int:
        return sum(1 << i for i in {self.at[key] for key in done if key in self.at})

    def _shut(self, done: int) -> int:
        shut = 0
        for i, one in enumerate(self._shuts):
            if one and done >> i & 1:
                shut |= one
        return shut

    def _open(self, i: int, shut: int) -> bool:
        return all(group & ~shut for group in self._reaches[i])

    def _finishable(self, done: int, shut: int, ranks: Sequence[int], known: dict[int, bool]) -> bool:
        """Whether the rest can be done in some order; `ranks` tell which to try first where something is shut."""
        lacks = [(need & ~done).bit_count() for need in self._needs]
        left = [i for i in range(len(self.steps)) if not done >> i & 1]
        if not all(self._open(i, shut) for i in left):
            return False  # nothing opens again what is shut
        ready, shutting = [i for i in left if not lacks[i]], []
        while ready:
            i = ready.pop()
            if self._shuts[i] & ~shut:
                shutting.append(i)
                continue
            done |= 1 << i
            for k in self._needed_by[i]:
                lacks[k] -= 1
                if not lacks[k] and not done >> k & 1:
                    ready.append(k)
        if done == (1 << len(self.steps)) - 1:
            return True
        if done not in known:
            known[done] = any(
                self._finishable(done | 1 << i, shut | self._shuts[i], ranks, known)
                for i in sorted(shutting, key=lambda i: ranks[i])
            )
        return known[done]

    # --- what can be done

    def can_be_finished(self, done: Iterable[StepKey]) -> bool:
        """Whether every step that is not done yet can still be done, in some order."""
        mask = self._mask(done)
        return self._finishable(mask, self._shut(mask), range(len(self.steps)), {})

    def possible(self, done: Iterable[StepKey]) -> list[StepKey]:
        """The steps that hands could do now, whether or not that is wise."""
        mask = self._mask(done)
        return [self.steps[i].key for i in self._possible(mask, self._shut(mask))]

    def _possible(self, done: int, shut: int) -> Iterator[int]:
        for i in range(len(self.steps)):
            if not done >> i & 1 and not self._needs[i] & ~done and self._open(i, shut):
                yield i

    def lost(self, done: Iterable[StepKey]) -> list[StepKey]:
        """The steps that are shut out by what is done, and those that need them: without a way back they can't be."""
        mask = self._mask(done)
        shut = self._shut(mask)
        queue = [i for i in range(len(self.steps)) if not mask >> i & 1 and not self._open(i, shut)]
        lost = set(queue)
        while queue:
            for k in self._needed_by[queue.pop()]:
                if k not in lost and not mask >> k & 1:
                    lost.add(k)
                    queue.append(k)
        return [self.steps[i].key for i in sorted(lost)]

    def without(self, keys: Iterable[StepKey]) -> "Garment":
        """The same with some steps left out."""
        gone = set(keys)
        return replace(self, steps=tuple(step for step in self.steps if step.key not in gone)) if gone else self

    def allowed(self, done: Iterable[StepKey]) -> list[StepKey]:
        """The steps after which all the rest can still be done, but for what is lost already.

        Empty only when everything that can be is done.
        """
        there = set(done)
        found = self.without(self.lost(there))
        mask = found._mask(there)
        shut, known = found._shut(mask), dict[int, bool]()
        return [found.steps[i].key for i in found._possible(mask, shut) if found._takes(i, mask, shut, known)]

    def _takes(self, i: int, done: int, shut: int, known: dict[int, bool], ranks: Sequence[int] | None = None) -> bool:
        """Whether all the rest can still be done once a step is; never asked where that is lost before."""
        if not self._shuts[i] & ~shut:
            return True
        return self._finishable(done | 1 << i, shut | self._shuts[i], ranks or range(len(self.steps)), known)

    def blocked(self, key: StepKey, done: Iterable[StepKey]) -> Blocked:
        """Why a step can't be done now; nothing where it can."""
        there = set(done)
        step = self.step(key)
        lacks = tuple(need for need in dict.fromkeys(step.needs) if need in self.at and need not in there)
        shut_by: dict[StepKey, None] = {}
        for group in self.shut_groups(step, there):
            shut_by |= dict.fromkeys(closer for place in group for closer in self.closers(place, there))
        return Blocked(lacks=lacks, shut_by=tuple(shut_by))

    def shut_groups(self, step: Step, done: Iterable[StepKey]) -> list[tuple[Place, ...]]:
        """Of the places that a step reaches, the groups of which none is open."""
        shut = self._shut(self._mask(done))
        return [group for group in step.reaches if all(self._places.get(place, 0) & shut for place in group)]

    def closers(self, place: Place, done: Iterable[StepKey]) -> list[StepKey]:
        """The done steps that shut a place."""
        there = set(done)
        return [
            step.key for step in self.steps if step.key in there and any(shut.place == place for shut in step.shuts)
        ]

    def shuts_out(self, key: StepKey, done: Iterable[StepKey]) -> tuple[StepKey, ...]:
        """The steps that could not be done any more once this one is: what it shuts them out of, or would lead to."""
        there = {*done}
        before = set(self.lost(there))
        rest = self.without(before)
        after = {*there, key}
        direct = [one for one in rest.lost(after) if rest.shut_groups(rest.step(one), after)]
        if direct or rest.can_be_finished(after):
            return tuple(direct)
        # nothing is shut out at once, but whatever comes next will shut something out
        return tuple(step.key for step in rest.steps if step.key not in after and not rest._alone(step, after))

    def _alone(self, step: Step, done: set[StepKey]) -> bool:
        """Whether a step could be reached if only it and what it needs were still to be done."""
        needed, queue = {step.key}, [step]
        while queue:
            for key in queue.pop().needs:
                if key in self.at and key not in done and key not in needed:
                    needed.add(key)
                    queue.append(self.step(key))
        return self.without({step.key for step in self.steps} - needed - done).can_be_finished(done)

    # --- orders

    def order(self, done: Iterable[StepKey], wished: Sequence[StepKey] = ()) -> list[StepKey]:
        """Every step that is still to be done and can be, each where all the rest can still be done after it.

        As near as may be to the order that is wished; a step that is in none comes after the one before it as usual.
        """
        there = set(done)
        found = self.without(self.lost(there))
        ranks = found._ranks(wished)
        mask = found._mask(there)
        shut, known = found._shut(mask), dict[int, bool]()
        order: list[StepKey] = []
        while True:
            ready = sorted(found._possible(mask, shut), key=lambda i: ranks[i])
            first = next((i for i in ready if found._takes(i, mask, shut, known, ranks)), None)
            if first is None:
                return order
            mask |= 1 << first
            shut |= found._shuts[first]
            order.append(found.steps[first].key)

    def _ranks(self, wished: Sequence[StepKey]) -> list[int]:
        at = {key: i + 1 for i, key in enumerate(wished)}
        ranks, last = [], 0
        for i, step in enumerate(self.steps):
            last = at.get(step.key, last)
            ranks.append(last * len(self.steps) + i)
        return ranks
