"""Pieces laid on sheets of any outline, with flaws to keep clear of and pieces that stay where they are (model, 11).

Largest first, each at the place nearest to the near end of the smallest sheet that takes it, found on no-fit polygons,
so that what fits exactly is found to fit. What is left over is tried first in the next order, while time lasts.
"""

import random
import time
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from typing import NamedTuple

from shapely import get_coordinates
from shapely.affinity import rotate, scale, translate
from shapely.geometry import MultiPolygon, Polygon, box
from shapely.ops import unary_union

from fuseau.craft.base.record import Record
from fuseau.craft.layout.no_fit import inner_fit, no_fit, several
from fuseau.craft.layout.pieces import ClothPiece, bias_turn
from fuseau.craft.layout.placed import Copy, Placed, copies_of, on_cloth, orientations, placed
from fuseau.craft.pattern.trueing import Point

_MANY = 24  # outlines of more points are followed a little outside, with fewer
_DRAWN_MM = 0.2
_SQUARE = 1e-6
_PLAY_MM = 0.05  # so that a piece as large as its sheet is not lost to rounding


class Sheet(Record):
    """Cloth to lay pieces on: its outline (closed, mm, x along its grain, tops toward larger x), and its flaws."""

    key: str
    outline: tuple[Point, ...]
    flaws: tuple[tuple[Point, ...], ...] = ()

    @property
    def whole(self) -> Polygon:
        """Its outline."""
        return Polygon(self.outline)

    @property
    def is_length(self) -> bool:
        """Whether it is a rectangle along its grain without flaws: a length of cloth."""
        return not self.flaws and self.whole.area >= box(*self.whole.bounds).area * (1 - _SQUARE)

    @property
    def sound(self) -> MultiPolygon:
        """What of it can be cut from."""
        return several(self.whole.difference(unary_union([Polygon(flaw) for flaw in self.flaws])))


class Pinned(Record):
    """A piece that stays where she put it: on which sheet, the how-manieth, mirrored or not, at which angle, where."""

    sheet: str
    key: str
    mirrored: bool = False
    angle_deg: float = 0.0
    x_mm: float
    y_mm: float


@dataclass(frozen=True)
class NestAsk:
    """What is to be laid on which sheets, with what stays where it is, the distance between, and for how long.

    `done` names copies that lie elsewhere already; on a `fold` every piece is cut twice.
    """

    pieces: tuple[ClothPiece, ...]
    sheets: tuple[Sheet, ...]
    pinned: tuple[Pinned, ...] = ()
    done: tuple[str, ...] = ()
    fold: bool = False
    separation_mm: float = 2.0
    seconds: float = 3.0
    seed: int = 7


class LaidSheet(Record):
    """A sheet with the pieces on it, and the share of it that they use."""

    sheet: Sheet
    placed: tuple[Placed, ...]
    used_share: float

    @property
    def reach_mm(self) -> float:
        """How far along it the furthest piece reaches."""
        return max((x for one in self.placed for x, _ in one.outline), default=0.0)


class Unlaid(Record):
    """A piece that found no place, and how many of it; `nowhere`: not even on an empty sheet."""

    key: str
    count: int
    nowhere: bool


class Nesting(Record):
    """Every sheet with what lies on it, and what found no place."""

    sheets: tuple[LaidSheet, ...]
    unlaid: tuple[Unlaid, ...]

    @property
    def fits(self) -> bool:
        """Whether everything has found its place."""
        return not self.unlaid

    @property
    def reach_mm(self) -> float:
        """How much of the last sheet's length is used."""
        return self.sheets[-1].reach_mm if self.sheets else 0.0


NoFits = dict[tuple[object, ...], MultiPolygon]  # no-fit polygons by what they are of, to be used again


class _Way(NamedTuple):
    """A copy at an angle: of which piece, mirrored or not, and its outline about its own origin."""

    copy: Copy
    angle_deg: float
    outline: Polygon

    @property
    def name(self) -> tuple[str, float]:
        return self.copy.name, self.angle_deg

    @property
    def turned_deg(self) -> float:
        """How far it is turned on the cloth, by its grain and its lean."""
        return bias_turn(self.copy.piece.grain) + self.angle_deg


class _One(NamedTuple):
    """A single copy that has to be laid."""

    copy: Copy
    area: float


@dataclass
class _Table:
    """The sheets while pieces are laid on them: for each way of each piece the places that are still free."""

    nest: "_Nest"
    leaning: bool
    laid: dict[str, list[tuple[_Way, Point]]] = field(default_factory=dict)
    free: dict[tuple[str, tuple[str, float]], tuple[int, MultiPolygon]] = field(default_factory=dict)

    def places(self, sheet: Sheet, way: _Way) -> MultiPolygon:
        """Where the origin of a piece may be on a sheet, with what lies there already."""
        key = sheet.key, way.name
        lying = self.laid.setdefault(sheet.key, [])
        seen, free = self.free.get(key) or (0, self.nest.empty(sheet, way))
        if seen < len(lying) and not free.is_empty:
            taken = [translate(self.nest.clear_of(other, way), *at) for other, at in lying[seen:]]
            free = several(free.difference(unary_union(taken)))
        self.free[key] = len(lying), free
        return free

    def put(self, one: _One, far: Callable[[Sheet, _Way, Point], tuple[float, ...]]) -> bool:
        """Lay a copy on the first sheet that takes it, at its best place there; False where none does."""
        for sheet in self.nest.ordered:
            best: tuple[tuple[float, ...], _Way, Point] | None = None
            for way in self.nest.ways(one.copy, self.leaning):
                for x, y in get_coordinates(self.places(sheet, way)):
                    score = far(sheet, way, (x, y))
                    if best is None or score < best[0]:
                        best = score, way, (float(x), float(y))
            if best is not None:
                self.laid[sheet.key].append((best[1], best[2]))
                return True
        return False


class _Nest:
    """What is worked out once for an ask: every way of every piece, and how ways keep clear of each other."""

    def __init__(self, ask: NestAsk, known: NoFits) -> None:
        self.ask = ask
        self._clear = known
        self.ordered = sorted(ask.sheets, key=lambda sheet: sheet.sound.area)
        self._ways: dict[str, tuple[_Way, ...]] = {}
        self._wide: dict[str, Polygon] = {}
        self._empty: dict[tuple[str, tuple[str, float]], MultiPolygon] = {}

    def ways(self, copy: Copy, leaning: bool) -> tuple[_Way, ...]:
        """The ways a copy may lie: those true to its grain, or all within its tolerance."""
        if copy.name not in self._ways:
            self._ways[copy.name] = tuple(self.way(copy, angle) for angle in orientations(copy.piece))
        found = self._ways[copy.name]
        return found if leaning else tuple(way for way in found if way.angle_deg in (0.0, 180.0))

    def way(self, copy: Copy, angle_deg: float) -> _Way:
        """A copy at an angle."""
        return _Way(copy, angle_deg, _followed(copy.lying(angle_deg)))

    def empty(self, sheet: Sheet, way: _Way) -> MultiPolygon:
        """Where a piece may be on a sheet on which nothing lies yet."""
        key = sheet.key, way.name
        if key not in self._empty:
            free: MultiPolygon = inner_fit(sheet.whole.buffer(_PLAY_MM, join_style="mitre"), way.outline)
            for flaw in sheet.flaws:
                free = several(free.difference(no_fit(Polygon(flaw), way.outline)))
            self._empty[key] = free
        return self._empty[key]

    def clear_of(self, other: _Way, way: _Way) -> MultiPolygon:
        """Where a piece would be too near to another one at the origin.

        Two pieces turned alike, or both mirrored, keep clear of each other as they did before: each pair is worked out
        once for the angle between them.
        """
        turn = other.turned_deg
        between = (way.turned_deg - turn) % 360
        if other.copy.mirrored:
            between = -between % 360
        apart = other.copy.mirrored != way.copy.mirrored
        apart_mm = self.ask.separation_mm
        key = other.copy.piece.outline, way.copy.piece.outline, apart, round(between, 3), apart_mm
        if key not in self._clear:
            one = _followed(on_cloth(way.copy.piece.outline, between, apart))
            self._clear[key] = no_fit(self._widened(other.copy), one)
        found = self._clear[key]
        if other.copy.mirrored:
            found = scale(found, 1, -1, origin=(0, 0))
        return rotate(found, turn, origin=(0, 0)) if turn else found

    def _widened(self, copy: Copy) -> Polygon:
        """The outline of a piece, not mirrored, and as far beyond it as pieces keep apart."""
        if copy.piece.key not in self._wide:
            apart = max(self.ask.separation_mm, _DRAWN_MM) - _PLAY_MM
            shape = on_cloth(copy.piece.outline, 0, False)
            self._wide[copy.piece.key] = _followed(shape.buffer(apart, join_style="mitre"))
        return self._wide[copy.piece.key]


def _followed(shape: Polygon) -> Polygon:
    """An outline of a few points that lies nowhere inside the given one, and at most 0.3 mm outside."""
    if len(shape.exterior.coords) <= _MANY:
        return Polygon(shape.exterior)
    (drawn,) = several(shape.buffer(_DRAWN_MM, join_style="mitre").simplify(_DRAWN_MM)).geoms
    return Polygon(drawn.exterior)


def nest(ask: NestAsk, tell: Callable[[float], None] = lambda share: None, known: NoFits | None = None) -> Nesting:
    """All pieces on the sheets, as far as they find a place; on the last and largest as near to its end as they go.

    Every order that was tried is one of its own; fewer left over is better, then less of them, then a shorter reach on
    the largest sheet. `tell` hears the share of the time that is over. Deterministic for a seed as far as time allows
    the same number of orders. The first order is always finished. `known` may hold what earlier asks worked out.
    """
    shared = _Nest(ask, {} if known is None else known)
    copies, _ = copies_of(ask.pieces, ask.fold, ask.done)
    pins, singles = _without_pinned(ask, copies)
    nowhere = {
        single.copy.name
        for single in singles
        if all(
            shared.empty(sheet, way).is_empty for sheet in ask.sheets for way in shared.ways(single.copy, leaning=True)
        )
    }
    chance = random.Random(ask.seed)
    began = time.monotonic()
    order = sorted(singles, key=lambda single: (-single.area, single.copy.name))
    best: tuple[tuple[float, float, float], _Table, list[_One]] | None = None
    least = _least_reach(ask)
    leaning = False
    while True:
        table, unlaid = _Table(shared, leaning), []
        for copy, pin in pins:
            way = shared.way(copy, pin.angle_deg)
            table.laid.setdefault(pin.sheet, []).append((way, (pin.x_mm, pin.y_mm)))
        for one in order:
            if one.copy.name in nowhere or not table.put(one, _near_the_end):
                unlaid.append(one)
        reach = _reach(table, shared)
        lost = [one for one in unlaid if one.copy.name not in nowhere]
        score = float(len(lost)), sum(one.area for one in lost), reach
        if best is None or score < best[0]:
            best = score, table, unlaid
        over = (time.monotonic() - began) / ask.seconds if ask.seconds else 1.0
        tell(min(0.99, over))
        if over >= 1 or (not best[0][0] and (len(ask.sheets) != 1 or best[0][2] <= least)):
            break
        order, leaning = _another_order(best[2], order, singles, chance), True
    return _told(ask, best[1], best[2], nowhere)


def _near_the_end(sheet: Sheet, way: _Way, at: Point) -> tuple[float, ...]:
    """Nearer to the near end first, by where the far side of the piece comes to lie; then nearer to one edge."""
    return round(at[0] + way.outline.bounds[2], 1), round(at[1] + way.outline.bounds[1], 1)


def _another_order(
    unlaid: Sequence[_One], last: Sequence[_One], singles: Sequence[_One], chance: random.Random
) -> list[_One]:
    """What was left over comes first, or the largest a little shuffled: orders near to one that did well."""
    if unlaid:
        first = [one for one in last if any(one is other for other in unlaid)]
        rest = [one for one in last if not any(one is other for other in unlaid)]
        moved = [*first, *rest]
    else:
        moved = list(last)
    weights = {id(movement): i + chance.gauss(0, 0.15 * len(singles) + 0.5) for i, movement in enumerate(moved)}
    return sorted(moved, key=lambda movement: weights[id(movement)])


def _without_pinned(ask: NestAsk, copies: Sequence[Copy]) -> tuple[list[tuple[Copy, Pinned]], list[_One]]:
    """The copies that stay where they are, and the single ones that are still to be laid."""
    by_name = {copy.name: copy for copy in copies}
    left = {copy.name: copy.count for copy in copies}
    pins = []
    for pin in ask.pinned:
        name = f"{pin.key}|{'m' if pin.mirrored else 'p'}"
        if left.get(name, 0) and any(sheet.key == pin.sheet for sheet in ask.sheets):
            left[name] -= 1
            pins.append((by_name[name], pin))
    singles = [_One(copy, copy.piece.area_mm2) for copy in copies for _ in range(left[copy.name])]
    return pins, singles


def _reach(table: _Table, shared: _Nest) -> float:
    last = shared.ordered[-1].key if shared.ordered else ""
    return max((at[0] + way.outline.bounds[2] for way, at in table.laid.get(last, ())), default=0.0)


def _least_reach(ask: NestAsk) -> float:
    """No single sheet is used less far than the area of all pieces over its height."""
    if len(ask.sheets) != 1:
        return 0.0
    _, low, _, high = ask.sheets[0].whole.bounds
    copies, _ = copies_of(ask.pieces, ask.fold, ask.done)
    return sum(copy.count * copy.piece.area_mm2 for copy in copies) / max(high - low, 1.0)


def _told(ask: NestAsk, table: _Table, unlaid: Sequence[_One], nowhere: set[str]) -> Nesting:
    numbers: dict[str, int] = {}
    sheets = []
    for sheet in ask.sheets:
        lying = []
        for way, at in table.laid.get(sheet.key, ()):
            key = way.copy.piece.key
            numbers[key] = numbers.get(key, 0) + 1
            lying.append(placed(way.copy, numbers[key], way.angle_deg, at))
        area = sum(Polygon(one.outline).area for one in lying)
        sheets.append(LaidSheet(sheet=sheet, placed=tuple(lying), used_share=area / max(sheet.whole.area, 1e-9)))
    counts: dict[str, int] = {}
    for one in unlaid:
        counts[one.copy.piece.key] = counts.get(one.copy.piece.key, 0) + 1
    names = {name.rsplit("|", 1)[0] for name in nowhere}
    left = tuple(Unlaid(key=key, count=count, nowhere=key in names) for key, count in counts.items())
    return Nesting(sheets=tuple(sheets), unlaid=left)
