"""Pieces laid on a length of cloth, selvedge to selvedge: strip packing, time-boxed and seeded (model, section 11).

x runs along the cloth, y across it from one usable edge, mm. spyrrow packs; what it gives is held against the true
outlines before it is believed.
"""

import math
import threading
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING

from shapely import STRtree, get_coordinates
from shapely.geometry import Polygon

from fuseau.craft.base.record import Record
from fuseau.craft.layout.nesting import NestAsk, Pinned, Sheet, nest
from fuseau.craft.layout.pieces import ClothPiece
from fuseau.craft.layout.placed import Copy, Placed, copies_of, fits_across, orientations, placed
from fuseau.craft.pattern.trueing import Point

if TYPE_CHECKING:
    from spyrrow import StripPackingSolution

_DRAWN_MM = 0.2  # outlines are packed a little larger and with fewer points
_TOUCH_MM2 = 1.0
_LOOK_S = 0.1
NEW_CLOTH = "new"  # the sheet that is not on the shelf yet


class Marker(Record):
    """A cloth with its pieces on it: the length they take, the share of it that is used, and the least by area.

    `fold`: the cloth lies double, its fold at y = 0, so that each piece is cut twice, mirrored; `spare` are cut once
    too often for it. `too_wide` fit nowhere across the cloth.
    """

    usable_mm: float
    fold: bool
    length_mm: float
    used_share: float
    bound_mm: float
    placed: tuple[Placed, ...]
    too_wide: tuple[str, ...]
    spare: tuple[str, ...]
    seconds: float


@dataclass(frozen=True)
class MarkerAsk:
    """What is to be laid: the pieces of one cloth, its usable width, the distance between them, and for how long.

    `pinned` stay where they are; `done` names copies that lie elsewhere already. In no time (0) one order is tried.
    """

    pieces: tuple[ClothPiece, ...]
    usable_mm: float
    fold: bool = False
    separation_mm: float = 2.0
    seconds: int = 3
    seed: int = 7
    pinned: tuple[Pinned, ...] = ()
    done: tuple[str, ...] = ()


def lay(
    ask: MarkerAsk,
    tell: Callable[[float], None] = lambda share: None,
    show: Callable[[Marker], None] = lambda marker: None,
) -> Marker:
    """The shortest length found in the time that all pieces lie on, none over another or off the cloth.

    `tell` hears the share of the time that is over, `show` every better marker as it is found. Deterministic for a seed
    on a machine of the same speed. Raises RuntimeError where nothing was found, which no cloth wide enough does.
    """
    import spyrrow

    wide = ask.usable_mm / 2 if ask.fold else ask.usable_mm
    copies, spare = copies_of(ask.pieces, ask.fold, ask.done)
    lying = [copy for copy in copies if copy.count and fits_across(copy, wide - ask.separation_mm)]
    too_wide = tuple(dict.fromkeys(copy.piece.key for copy in copies if copy not in lying))
    if not lying:
        return _as_marker(ask, wide, [], too_wide, spare)
    if ask.pinned or not ask.seconds:
        return _nested(ask, wide, lying, too_wide, spare, tell)
    by_name = {copy.name: copy for copy in lying}
    items = [
        spyrrow.Item(copy.name, _packed(copy), copy.count, list(orientations(copy.piece))) for copy in by_name.values()
    ]
    instance = spyrrow.StripPackingInstance("", wide, items)
    explore = max(1, round(0.8 * ask.seconds))
    config = spyrrow.StripPackingConfig(
        early_termination=True,
        min_items_separation=ask.separation_mm,
        exploration_time=explore,
        compression_time=ask.seconds - explore,
        total_computation_time=None,
        num_workers=1,
        seed=ask.seed,
    )
    progress = spyrrow.ProgressQueue()
    feasible = spyrrow.ReportType.ExplFeas, spyrrow.ReportType.CmprFeas
    done = threading.Event()

    def watch() -> None:
        began, best = 0.0, math.inf
        while not done.wait(_LOOK_S):
            began += _LOOK_S
            tell(min(0.99, began / max(ask.seconds, 1)))
            for kind, solution in progress.drain():
                if kind in feasible and solution.width < best - 0.5:
                    best = solution.width
                    show(_read(ask, wide, by_name, solution, too_wide, spare))

    watcher = threading.Thread(target=watch, daemon=True)
    watcher.start()
    try:
        solution = instance.solve(config, progress)
    finally:
        done.set()
        watcher.join()
    return _read(ask, wide, by_name, solution, too_wide, spare)


def _nested(
    ask: MarkerAsk,
    wide_mm: float,
    lying: Sequence[Copy],
    too_wide: tuple[str, ...],
    spare: list[str],
    tell: Callable[[float], None],
) -> Marker:
    """The same by nesting: round pieces that stay where she put them, or quickly, in one order."""
    longest = max(max(copy.lying(angle).bounds[2:]) for copy in lying for angle in orientations(copy.piece)[:1])
    area = sum(copy.count * copy.piece.area_mm2 for copy in lying)
    furthest = max((pin.x_mm for pin in ask.pinned), default=0.0) + longest
    long = furthest + 2 * area / wide_mm + 2 * longest
    sheet = Sheet(key=NEW_CLOTH, outline=((0, 0), (long, 0), (long, wide_mm), (0, wide_mm)))
    pieces = tuple(piece for piece in ask.pieces if piece.key not in too_wide)
    nested = nest(
        NestAsk(
            pieces=pieces,
            sheets=(sheet,),
            pinned=ask.pinned,
            done=ask.done,
            fold=ask.fold,
            separation_mm=ask.separation_mm,
            seconds=ask.seconds,
            seed=ask.seed,
        ),
        tell,
    )
    return _as_marker(ask, wide_mm, nested.sheets[0].placed, too_wide, spare)


def _packed(copy: Copy) -> list[Point]:
    drawn = copy.lying().buffer(_DRAWN_MM, join_style="mitre").simplify(_DRAWN_MM)
    return [(float(x), float(y)) for x, y in get_coordinates(drawn)[:-1]]


def _read(
    ask: MarkerAsk,
    wide_mm: float,
    by_name: dict[str, Copy],
    solution: "StripPackingSolution",
    too_wide: tuple[str, ...],
    spare: list[str],
) -> Marker:
    lying: list[Placed] = []
    numbers: dict[str, int] = {}
    for item in solution.placed_items:
        copy = by_name[item.id]
        numbers[copy.piece.key] = numbers.get(copy.piece.key, 0) + 1
        lying.append(placed(copy, numbers[copy.piece.key], item.rotation, item.translation))
    return _as_marker(ask, wide_mm, lying, too_wide, spare)


def _as_marker(
    ask: MarkerAsk, wide_mm: float, placed: Sequence[Placed], too_wide: tuple[str, ...], spare: list[str]
) -> Marker:
    shapes = [Polygon(one.outline) for one in placed]
    length = max((shape.bounds[2] for shape in shapes), default=0.0)
    area = sum(shape.area for shape in shapes)
    return Marker(
        usable_mm=ask.usable_mm,
        fold=ask.fold,
        length_mm=length,
        used_share=area / (length * wide_mm) if length else 0.0,
        bound_mm=area / wide_mm,
        placed=tuple(placed),
        too_wide=too_wide,
        spare=tuple(spare),
        seconds=float(ask.seconds),
    )


def wrong_with(marker: Marker) -> list[str]:
    """What cannot be so of a marker: pieces over each other, or off the cloth."""
    wide = marker.usable_mm / 2 if marker.fold else marker.usable_mm
    shapes = [Polygon(one.outline) for one in marker.placed]
    found = [
        f"{one.key} lies off the cloth"
        for one, shape in zip(marker.placed, shapes, strict=True)
        if shape.bounds[0] < -_DRAWN_MM or shape.bounds[1] < -_DRAWN_MM or shape.bounds[3] > wide + _DRAWN_MM
    ]
    tree = STRtree(shapes)
    for i, shape in enumerate(shapes):
        for j in tree.query(shape):
            if i < j and shape.intersection(shapes[j]).area > _TOUCH_MM2:
                found.append(f"{marker.placed[i].key} lies over {marker.placed[j].key}")
    return found
