"""Not enough of a cloth: what a maker would try, alone and in pairs; whether it then fits, and what it costs.

(model, section 11)
"""

import math
from collections.abc import Callable, Iterator, Sequence
from itertools import combinations
from typing import Any, Literal, NamedTuple

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.layout.at_hand import Laying, lay_quickly
from fuseau.craft.layout.nesting import NoFits
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.materials.minutes import MINUTES
from fuseau.craft.pattern.hand_edits import HandEdit
from fuseau.craft.pattern.pattern import EdgeLine
from fuseau.craft.stock.stock import Stock
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.stages.cut import StripPlan, lay_ask, plan_cut, strips_of, to_buy_mm

_LEAST_SEAM_MM = 10.0
_LESS_DEEP_MM = 10.0
_STRIP_MM = 350.0  # a strip of a binding that still is handled well
_PAIRED = 6  # so many of those that help most are tried in pairs
_HELPS_MM = 5.0
_MOST_JOINS = 2
_JOIN_MIN = MINUTES["sew a seam"] + MINUTES["press a seam"]  # on each half

Edit = dict[str, Any]
Applied = Callable[[Build, Sequence[Change], Sequence[Edit]], tuple[Build, Plan]]


class WayOut(Record):
    """One thing done otherwise, or two: how it is called, what each costs, whether all then fits, and how short it is.

    `changes` set fields, `edits` change the pattern by hand. `saves_mm` is of the length of the cloth.
    """

    said: tuple[Message, ...]
    costs: tuple[Message, ...]
    fits: bool
    short_mm: float
    saves_mm: float
    changes: tuple[Change, ...]
    edits: tuple[HandEdit, ...]


class WaysOut(Record):
    """What would help where a cloth is not enough: it is short by so much, and the ways, the best first."""

    cloth: ClothName
    short_mm: float
    ways: tuple[WayOut, ...]


class _Way(NamedTuple):
    said: Message
    cost: Message
    changes: tuple[Change, ...] = ()
    edits: tuple[Edit, ...] = ()


def ways_out(
    build: Build,
    planned: Plan,
    cloth: ClothName,
    at_hand: Sequence[tuple[Stock, float]],
    apply: Applied,
    tell: Callable[[float], None] = lambda share: None,
) -> WaysOut:
    """Every way tried through the plan and laid on what is at hand, one alone and the best in pairs.

    `apply` makes changes and edits and plans what follows; what can't be made is no way out. `tell` hears the share
    that is tried. Raises Unmakeable where nothing is cut from the cloth.
    """
    if all(one.cloth != cloth for one in plan_cut(build, planned).cloths):
        raise Unmakeable("layers.plies", "cut.no_such_cloth")
    known: NoFits = {}
    before, laying = _short(build, planned, cloth, at_hand, known)
    if before <= 0:
        return WaysOut(cloth=cloth, short_mm=0.0, ways=())
    ways = list(_ways(build, planned, cloth, laying))
    pairs = min(_PAIRED, len(ways))
    turns = len(ways) + pairs * (pairs - 1) / 2 + 1
    tried: list[tuple[_Way, WayOut]] = []
    turn = 1

    def attempt(*parts: _Way) -> WayOut | None:
        nonlocal turn
        tell(min(0.99, turn / turns))
        turn += 1
        changes = tuple(change for part in parts for change in part.changes)
        edits = tuple(edit for part in parts for edit in part.edits)
        try:
            changed, following = apply(build, changes, edits)
            if following.pattern is None or following.unmakeable:
                return None
            short, _ = _short(changed, following, cloth, at_hand, known)
        except ValueError:  # what can't be made so is no way out
            return None
        return WayOut(
            said=tuple(part.said for part in parts),
            costs=tuple(part.cost for part in parts),
            fits=short <= 0,
            short_mm=short,
            saves_mm=before - short,
            changes=changes,
            edits=edits,
        )

    for way in ways:
        found = attempt(way)
        if found is not None and (found.fits or found.saves_mm >= _HELPS_MM):
            tried.append((way, found))
    tried.sort(key=lambda one: (not one[1].fits, -one[1].saves_mm))
    single = [found for _, found in tried]
    helping = [way for way, found in tried if not found.fits][:_PAIRED]
    both = [found for pair in combinations(helping, 2) if (found := attempt(*pair)) is not None]
    best = max((found.saves_mm for found in single), default=0.0)
    worth = [found for found in both if found.fits or found.saves_mm > best + _HELPS_MM]
    worth.sort(key=lambda one: (not one.fits, -one.saves_mm))
    if not any(found.fits for found in worth):
        worth = worth[:3]
    ordered = sorted([*single, *worth], key=lambda one: (not one.fits, len(one.said), -one.saves_mm))
    return WaysOut(cloth=cloth, short_mm=before, ways=tuple(ordered))


def _short(
    build: Build, planned: Plan, cloth: ClothName, at_hand: Sequence[tuple[Stock, float]], known: NoFits
) -> tuple[float, Laying | None]:
    """How much new cloth it takes; a cloth of which nothing is cut any more takes none."""
    found = next((one for one in plan_cut(build, planned).cloths if one.cloth == cloth), None)
    if found is None:
        return 0.0, None
    laying = lay_quickly(lay_ask(build, planned, cloth, at_hand, 0), known)
    if laying.marker.too_wide:
        return math.inf, laying
    return to_buy_mm(laying, found.beside_mm), laying


def _ways(build: Build, planned: Plan, cloth: ClothName, laying: Laying | None) -> Iterator[_Way]:
    plies = [i for i, ply in enumerate(build.layers.plies) if ply.cloth == cloth]
    pieces = next((one.pieces for one in plan_cut(build, planned).cloths if one.cloth == cloth), ())
    carrying = build.stack.cloth
    if cloth in build.cut.fold:
        open_again = tuple(one for one in build.cut.fold if one != cloth)
        yield _Way(message("way.open"), message("way.open.cost"), (Change(at="cut.fold", value=open_again),))
    yield from _narrower(build, planned, plies)
    for i in plies:
        ply = build.layers.plies[i]
        if i != build.layers.carrying and not ply.grain_free:
            gives = build.cloths[cloth].gives_bias
            yield _Way(
                message("way.grain", role=ply.role),
                message("way.grain.cost", gives=gives),
                (Change(at=f"layers.plies.{i}.grain_free", value=True),),
            )
    yield from _joined(build, planned, plies, laying)
    other = carrying.name if carrying.name != cloth else None
    if other is not None:
        instead = {"cloth": carrying.label}
        if any(piece.what == "facing" for piece in pieces) and build.cut.facing is None:
            yield _Way(
                message("way.facing", **instead), message("way.facing.cost"), (Change(at="cut.facing", value=other),)
            )
        if any(piece.what == "modesty panel" for piece in pieces) and build.cut.modesty is None:
            yield _Way(
                message("way.modesty", **instead), message("way.modesty.cost"), (Change(at="cut.modesty", value=other),)
            )
    yield from _bound(build, planned, cloth, other, carrying.label)
    yield from _less_deep(build, planned)


def _narrower(build: Build, planned: Plan, plies: Sequence[int]) -> Iterator[_Way]:
    """Narrower seam allowances on the plies of the cloth."""
    if planned.pattern is None:
        return
    changes = []
    had = 0.0
    for i in plies:
        own = build.layers.plies[i].allowances or planned.pattern.allowances
        if own.seams_mm > _LEAST_SEAM_MM:
            had = max(had, own.seams_mm)
            by_seam = {seam: min(mm, _LEAST_SEAM_MM) for seam, mm in own.by_seam.items()}
            value = {**own.model_dump(mode="json"), "seams_mm": _LEAST_SEAM_MM, "by_seam": by_seam}
            changes.append(Change(at=f"layers.plies.{i}.allowances", value=value))
    if changes:
        given = {"now_mm": _LEAST_SEAM_MM, "had_mm": had}
        yield _Way(message("way.allowance", **given), message("way.allowance.cost", **given), tuple(changes))


def _joined(build: Build, planned: Plan, plies: Sequence[int], laying: Laying | None) -> Iterator[_Way]:
    """A panel of a ply that is covered cut in two, at the waist where it can be: the tape lies over the join."""
    if laying is None or planned.pattern is None:
        return
    for i in plies:
        ply = build.layers.plies[i]
        if i == len(build.layers.plies) - 1:
            continue  # it shows
        lacking = [one for one in laying.marker.placed if one.key.startswith(f"{i + 1} {ply.role} ")]
        numbers = {panel for one in lacking for panel in _panels_of(one.key)}
        joined = {join.panel for join in ply.joins}
        by_size = sorted(numbers - joined, key=lambda number: -_height(planned, number))[:_MOST_JOINS]
        if not by_size:
            continue
        at = [(number, _join_height(planned, number)) for number in sorted(by_size)]
        joins = [*(join.model_dump() for join in ply.joins), *({"panel": number, "z_mm": z} for number, z in at)]
        panels = " and ".join(str(number) for number, _ in at)
        yield _Way(
            message("way.join", role=ply.role, panels=panels, z_mm=at[0][1]),
            message("way.join.cost", minutes=_JOIN_MIN * 2 * len(at)),
            (Change(at=f"layers.plies.{i}.joins", value=joins),),
        )


def _panels_of(key: str) -> tuple[int, ...]:
    """The panels that a piece's key names: “2 strength 3” is panel 3."""
    words = key.split()
    return tuple(int(word) for word in words[2].split("+") if word.isdigit()) if len(words) > 2 else ()


def _heights(planned: Plan, number: int) -> tuple[float, float]:
    panels = planned.pattern.panels if planned.pattern else ()
    zs = [z for _, z in panels[number - 1].outline] if number <= len(panels) else [0.0]
    return min(zs), max(zs)


def _height(planned: Plan, number: int) -> float:
    low, high = _heights(planned, number)
    return high - low


def _join_height(planned: Plan, number: int) -> float:
    low, high = _heights(planned, number)
    return 0.0 if low < -60 and high > 60 else round((low + high) / 2)


def _bound(build: Build, planned: Plan, cloth: ClothName, other: ClothName | None, label: str) -> Iterator[_Way]:
    """The binding of another cloth, or with more joins."""
    strips: list[StripPlan] = [strip for strip in strips_of(build, planned) if strip.cloth == cloth]
    if not strips:
        return
    if other is not None and build.cut.binding is None:
        yield _Way(
            message("way.binding", cloth=label), message("way.binding.cost"), (Change(at="cut.binding", value=other),)
        )
    length = sum(strip.length_mm for strip in strips)
    had = build.cut.binding_joins
    joins = max(1, math.ceil(length / _STRIP_MM) - 1) if had is None else had + 4
    if joins <= 40:
        yield _Way(
            message("way.joins", joins=joins, each_mm=length / (joins + 1)),
            message("way.joins.cost", joins=joins),
            (Change(at="cut.binding_joins", value=joins),),
        )


def _less_deep(build: Build, planned: Plan) -> Iterator[_Way]:
    """The hem a little higher, or the top line a little lower: another version of the pattern."""
    pattern = build.current.pattern if build.current else planned.drafted
    if pattern is None:
        return
    ends: tuple[tuple[Literal["hem", "top"], EdgeLine, float], ...] = (
        ("hem", pattern.hem, _LESS_DEEP_MM),
        ("top", pattern.top, -_LESS_DEEP_MM),
    )
    for end, line, by_mm in ends:
        edits = tuple(
            {"kind": "point", "end": end, "place": place, "z_mm": z + by_mm}
            for place, z in ((0.0, line.cf_mm), (1.0, line.side_mm), (2.0, line.cb_mm))
        )
        given = {"by_mm": _LESS_DEEP_MM}
        yield _Way(message(f"way.{end}", **given), message(f"way.{end}.cost", **given), (), edits)
