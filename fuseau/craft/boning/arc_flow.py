"""One-dimensional cutting stock as an arc flow (Valério de Carvalho 1999), solved exactly (model, section 7).

A piece is a path from its start through the bones cut from it; equal bones are one item, and longer ones come first,
which leaves few arcs. OR-Tools CP-SAT solves it in two steps, fewest pieces bought and then least waste, and says
whether it proved both. Lengths are whole numbers of one unit.
"""

import math
from collections import Counter, defaultdict
from collections.abc import Iterator, Mapping, Sequence
from itertools import islice
from typing import TYPE_CHECKING, Any

if TYPE_CHECKING:
    from ortools.sat.python import cp_model

_SECONDS = 5.0
_FEW = 12  # with more pieces on the shelf the bounds are not worked out by sums
_TRIED, _NODES = 24, 6000  # how long a plan that meets the bounds is looked for


class SolvedFlow:
    """What a flow comes to: pieces (source, length, bone lengths), bones left to the coil, and whether it is proven."""

    def __init__(self, pieces: list[tuple[str, int, list[int]]], coil: list[int], proven: bool) -> None:
        self.pieces, self.coil, self.proven = pieces, coil, proven


class ArcFlow:
    """Items (length → how many) to cut from pieces that are sold (any number), owned (length → how many), or a coil."""

    def __init__(self, items: Counter[int], sold: Sequence[int], own: Mapping[int, int], coil: bool) -> None:
        self.items, self.sold, self.own, self.coil = items, sorted(set(sold)), dict(own), coil
        self.ends = sorted({*self.sold, *(length for length, count in self.own.items() if count)})

    def _arcs(self) -> tuple[list[tuple[int, int]], list[int]]:
        """Bone arcs (start, length) and every node, with bones in falling order within a piece."""
        longest = max(self.ends, default=0)
        nodes, arcs = {0}, set()
        for length in sorted(self.items, reverse=True):
            new = set()
            for node in nodes:
                at = node
                for _ in range(self.items[length]):
                    if at + length > longest:
                        break
                    arcs.add((at, length))
                    at += length
                    new.add(at)
            nodes |= new
        return sorted(arcs), sorted(nodes | set(self.ends))

    def _model(self) -> tuple["cp_model.CpModel", dict[Any, Any]]:
        from ortools.sat.python import cp_model

        model, total = cp_model.CpModel(), sum(self.items.values())
        arcs, nodes = self._arcs()
        into, out = defaultdict(list), defaultdict(list)
        use: dict[Any, Any] = {}
        for start, length in arcs:
            flow = use["bone", start, length] = model.new_int_var(0, self.items[length], "")
            out[start].append(flow)
            into[start + length].append(flow)
        rising = [node for node in nodes if node]
        for lower, upper in zip(rising, rising[1:], strict=False):
            flow = use["rest", lower, upper] = model.new_int_var(0, total, "")
            out[lower].append(flow)
            into[upper].append(flow)
        for end in self.ends:
            kept, bought = self.own.get(end, 0), total if end in self.sold else 0
            use["own", end] = model.new_int_var(0, min(kept, total), "")
            use["buy", end] = model.new_int_var(0, bought, "")
            out[end] += [use["own", end], use["buy", end]]
        for node in rising:
            model.add(sum(into[node]) == sum(out[node]))
        for length, count in self.items.items():
            here = [flow for key, flow in use.items() if key[0] == "bone" and key[2] == length]
            left = use["coil", length] = model.new_int_var(0, count if self.coil else 0, "")
            model.add(sum(here) + left == count)
        return model, use

    def solve(self) -> SolvedFlow:
        """Fewest pieces bought (of a coil: the least length), then the least waste."""
        if not self.ends:
            return SolvedFlow([], list(self.items.elements()), True)
        own = sum(length * count for length, count in self.own.items())
        total = sum(length * count for length, count in self.items.items())
        least = max(0, total - own) if self.coil else max(0, math.ceil((total - own) / max(self.sold, default=1)))
        met = self._meeting(least, total)
        if met is not None:
            return met
        model, use = self._model()
        bought = sum(flow for key, flow in use.items() if key[0] == "buy")
        coil = sum(key[1] * flow for key, flow in use.items() if key[0] == "coil")
        used = sum(key[1] * flow for key, flow in use.items() if key[0] in ("buy", "own"))
        first = coil if self.coil else bought
        model.add(first >= least)
        model.minimize(first)
        solved = _best(model, use)
        if solved is None:
            return self._in_turn()
        best, proven, values = solved
        model.add(first == best)
        model.add(used >= self._least_used(0 if self.coil else best, total - (best if self.coil else 0)))
        for key, flow in use.items():
            model.add_hint(flow, values[key])
        model.minimize(used)
        again = _best(model, use)
        if again is not None:
            proven, values = proven and again[1], again[2]
        return SolvedFlow(self._pieces(values), self._left(values), proven and again is not None)

    def _in_turn(self) -> SolvedFlow:
        """The longest bone first, into the first piece with room (first fit decreasing): a plan, not the best one."""
        pieces: list[list[Any]] = [
            ["shelf", length, length, []] for length, count in sorted(self.own.items()) for _ in range(count)
        ]
        coil = []
        for bone in sorted(self.items.elements(), reverse=True):
            here = next((piece for piece in pieces if piece[2] >= bone), None)
            if here is None and self.coil:
                coil.append(bone)
                continue
            if here is None:
                longest = max(self.sold)
                here = ["bought", longest, longest, []]
                pieces.append(here)
            here[2] -= bone
            here[3].append(bone)
        return SolvedFlow([(piece[0], piece[1], piece[3]) for piece in pieces if piece[3]], coil, False)

    def _meeting(self, least: int, total: int) -> SolvedFlow | None:
        """A plan that meets both lower bounds, which proves itself; None where a short search finds none."""
        if self.coil:
            pieces = sorted(Counter(self.own).elements(), reverse=True)
            held = _fill(pieces, self.items, 0) if sum(pieces) <= total and len(pieces) <= _FEW else None
            if held is None:
                return None
            left = self.items - Counter(bone for bones in held for bone in bones)
            done = [("shelf", length, bones) for length, bones in zip(pieces, held, strict=True)]
            return SolvedFlow(done, list(left.elements()), True)
        if sum(self.own.values()) > _FEW:
            return None
        used = self._least_used(least, total)
        for chosen in islice(self._sums(least, used), _TRIED):
            cut = _fill([length for _, length in chosen], self.items, used - total)
            if cut is not None:
                done = [(source, length, bones) for (source, length), bones in zip(chosen, cut, strict=True)]
                return SolvedFlow(done, [], True)
        return None

    def _sums(self, bought: int, used: int) -> Iterator[list[tuple[str, int]]]:
        """So many bought pieces, with pieces from the shelf, that come to a length; longest first."""
        options = [("shelf", length, count) for length, count in sorted(self.own.items(), reverse=True)]
        options += [("bought", length, bought) for length in reversed(self.sold)]

        def choose(i: int, buys: int, rest: int) -> Iterator[list[tuple[str, int]]]:
            if i == len(options):
                if rest == 0 and buys == 0:
                    yield []
                return
            source, length, most = options[i]
            if source == "bought":
                if not buys * self.sold[0] <= rest <= buys * length:
                    return
                most = buys
            for count in range(min(most, rest // length), -1, -1):
                left = buys - count if source == "bought" else buys
                for others in choose(i + 1, left, rest - count * length):
                    yield [(source, length)] * count + others

        for pieces in choose(0, bought, used):
            yield sorted(pieces, key=lambda piece: -piece[1])

    def _least_used(self, bought: int, needed: int) -> int:
        """The least length that so many bought pieces, with any from the shelf, can come to and hold what is needed."""
        if sum(self.own.values()) > _FEW:
            return needed
        reach = {0}
        for _ in range(bought):
            reach = {at + length for at in reach for length in self.sold if at < needed}
        for length, count in self.own.items():
            reach = {at + length * k for at in reach for k in range(count + 1)}
        return min((at for at in reach if at >= needed), default=needed)

    def _left(self, values: Mapping[Any, int]) -> list[int]:
        return [key[1] for key, count in values.items() if key[0] == "coil" for _ in range(count)]

    def _pieces(self, values: Mapping[Any, int]) -> list[tuple[str, int, list[int]]]:
        """The flow taken apart into paths, one for each piece."""
        flow = {key: count for key, count in values.items() if key[0] != "coil" and count}
        onward = defaultdict(list)
        for key in flow:
            onward[key[1]].append(key)
        found = []
        pieces = sum(count for key, count in flow.items() if key[0] in ("own", "buy"))
        for _ in range(pieces):
            at = 0
            bones: list[int] = []
            while True:
                key = next(key for key in onward[at] if flow[key])
                flow[key] -= 1
                if key[0] in ("own", "buy"):
                    found.append(("shelf" if key[0] == "own" else "bought", at, bones))
                    break
                if key[0] == "bone":
                    bones.append(key[2])
                    at += key[2]
                else:
                    at = key[2]
        return found


def _fill(pieces: Sequence[int], items: Counter[int], budget: int) -> list[list[int]] | None:
    """Bones for every piece so that no more than `budget` is wasted in all, depth first, longest bones first.

    None where a bounded search finds no way; that proves nothing.
    """
    left = Counter(items)
    lengths = sorted(items, reverse=True)
    nodes = 0

    def into(piece: int, room: int, start: int, bones: list[int], spare: int) -> list[list[int]] | None:
        nonlocal nodes
        nodes += 1
        if nodes > _NODES:
            return None
        for i in range(start, len(lengths)):
            length = lengths[i]
            if length <= room and left[length]:
                left[length] -= 1
                found = into(piece, room - length, i, [*bones, length], spare)
                if found is not None:
                    return found
                left[length] += 1
                if nodes > _NODES:
                    return None
        if room > spare:
            return None
        if piece + 1 == len(pieces):
            return [bones]
        others = into(piece + 1, pieces[piece + 1], 0, [], spare - room)
        return None if others is None else [bones, *others]

    return into(0, pieces[0], 0, [], budget) if pieces else None


def _best(model: "cp_model.CpModel", use: Mapping[Any, Any]) -> tuple[int, bool, dict[Any, int]] | None:
    """The best value, whether it is proven, and the flows; None where nothing was found in the time."""
    from ortools.sat.python import cp_model

    solver = cp_model.CpSolver()
    solver.parameters.max_deterministic_time = _SECONDS  # not of the clock, so that the same answer comes every time
    solver.parameters.max_time_in_seconds = 6 * _SECONDS
    solver.parameters.random_seed = 1
    solver.parameters.num_workers = 1
    solver.parameters.linearization_level = 2
    status = solver.solve(model)
    if status not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        return None
    found = {key: int(solver.value(flow)) for key, flow in use.items()}
    return round(solver.objective_value), status == cp_model.OPTIMAL, found
