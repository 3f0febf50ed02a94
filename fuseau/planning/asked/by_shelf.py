"""Design by what there is: which busk and bones the shelf has for a garment, how deep a hem and how many panels its
cloth allows (model, sections 11 and 12).
"""

from collections.abc import Callable, Sequence
from typing import Any

from fuseau.craft.base.findings import Change
from fuseau.craft.base.record import Record
from fuseau.craft.layout.at_hand import lay_quickly, surely_short
from fuseau.craft.layout.nesting import NoFits
from fuseau.craft.materials.catalogue import SCHOOLS
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.pattern.hand_edits import HandEdit
from fuseau.craft.stock.stock import Stock
from fuseau.document.build import Build
from fuseau.planning.asked.schools import bones_at_hand, cutting, school_changes
from fuseau.planning.asked.ways_out import Applied
from fuseau.planning.plan import Plan
from fuseau.planning.stages.cut import lay_ask, plan_cut, to_buy_mm

_STEP_MM = 10.0
_STEPS = 8  # of hem that are looked at, either way
_PANELS = range(4, 9)


class BuskThere(Record):
    """A busk on the shelf: whether it fits CF with its clearances, and what makes it the one that is sewn in."""

    stock: str
    label: str
    fits: bool
    chosen: bool
    changes: tuple[Change, ...]


class SchoolThere(Record):
    """A school of boning: how many of its bones the shelf gives, of how many; and what chooses it."""

    name: str
    there: int
    of: int
    chosen: bool
    changes: tuple[Change, ...]


class ClothThere(Record):
    """A cloth of the garment on the shelf: by how much the hem may be deeper and all still fits (− is higher).

    None where no higher hem that can be made fits either. Cloths that are cut already are not told. `panels` are
    numbers of panels for which it is enough, while nothing is cut. `edits` give that hem.
    """

    cloth: ClothName
    label: str
    hem_mm: float | None
    panels: tuple[int, ...]
    edits: tuple[HandEdit, ...]


class ByShelf(Record):
    """What could be had from the shelf."""

    busks: tuple[BuskThere, ...]
    schools: tuple[SchoolThere, ...]
    cloths: tuple[ClothThere, ...]


def by_shelf(
    build: Build,
    planned: Plan,
    at_hand: Sequence[tuple[Stock, float]],
    apply: Applied,
    tell: Callable[[float], None] = lambda share: None,
) -> ByShelf:
    """What the shelf gives for a garment. Empty while nothing is drafted.

    `apply` makes changes and edits and plans what follows; what can't be made is not told. `tell` hears how far it is.
    """
    if planned.pattern is None:
        return ByShelf(busks=(), schools=(), cloths=())
    names = [cloth.cloth for cloth in plan_cut(build, planned).cloths if cloth.cloth not in build.cut_cloths]
    there = [name for name in names if any(piece.sort == "cloth" and piece.name == name for piece, _ in at_hand)]
    turns = len(there) + 1
    schools = _schools(build, at_hand, apply)
    tell(1 / (turns + 1))
    cloths = []
    for k, name in enumerate(there):
        cloths.append(cloth_allows(build, planned, name, at_hand, apply))
        tell((k + 2) / (turns + 1))
    return ByShelf(busks=_busks(build, planned, at_hand), schools=schools, cloths=tuple(cloths))


def _busks(build: Build, planned: Plan, at_hand: Sequence[tuple[Stock, float]]) -> tuple[BuskThere, ...]:
    """Busks on the shelf, the longest that fits first."""
    if planned.pattern is None:
        return ()
    zs = [z for _, z in planned.pattern.panels[0].cf_edge]
    room = max(zs) - min(zs) - 2 * build.practice.busk_clearance_mm
    now = planned.busk.length_mm if planned.busk else None
    found = []
    for piece, free in at_hand:
        parts = piece.name.split("_")
        if piece.sort != "busk" or free < 1 or len(parts) != 3:
            continue
        length, studs = float(parts[1]), int(parts[2])
        value = {"length_mm": length, "studs": studs}
        found.append(
            BuskThere(
                stock=piece.id,
                label=piece.label,
                fits=length <= room + 0.5,
                chosen=now is not None and abs(now - length) < 0.5,
                changes=(Change(at="front.opening", value="busk"), Change(at="front.busk", value=value)),
            )
        )
    return tuple(sorted(found, key=lambda one: (not one.fits, one.label)))


def _schools(build: Build, at_hand: Sequence[tuple[Stock, float]], apply: Applied) -> tuple[SchoolThere, ...]:
    """Every school, the one of which most lies on the shelf first."""
    shelf = bones_at_hand(at_hand)
    found = []
    for school in SCHOOLS:
        changes = school_changes(school)
        try:
            made, planned = apply(build, changes, ())
        except ValueError:
            continue
        if not planned.bones:
            continue
        plans = cutting(made, planned, shelf)
        pieces = [piece for plan in plans for piece in plan.pieces]
        unmet = sum(len(plan.unmet) for plan in plans)
        there = sum(len(piece.bones) for piece in pieces if piece.source == "shelf")
        whole = sum(len(piece.bones) for piece in pieces) + unmet
        chosen = build.bones.is_of(school)
        found.append(SchoolThere(name=school.name, there=there, of=whole, chosen=chosen, changes=changes))
    return tuple(sorted(found, key=lambda one: -one.there / max(one.of, 1)))


def cloth_allows(
    build: Build, planned: Plan, cloth: ClothName, at_hand: Sequence[tuple[Stock, float]], apply: Applied
) -> ClothThere:
    """How deep a hem, and how many panels, what there is of a cloth allows; see `by_shelf`."""
    known: NoFits = {}

    def enough(changes: Sequence[Change], edits: Sequence[dict[str, Any]]) -> bool:
        try:
            made, following = apply(build, changes, edits)
            if following.pattern is None or following.unmakeable:
                return False
            cut = next(one for one in plan_cut(made, following).cloths if one.cloth == cloth)
            ask = lay_ask(made, following, cloth, at_hand, 0)
            if surely_short(ask):
                return False
            laying = lay_quickly(ask, known)
        except (ValueError, StopIteration):
            return False
        return not laying.marker.too_wide and to_buy_mm(laying, cut.beside_mm) <= 0

    def with_hem(steps: int) -> bool:
        return enough((), _hem(build, planned, steps * _STEP_MM))

    hem: float | None = None
    if with_hem(0):
        low, high = 0, _STEPS + 1  # it fits at `low`; at `high` it does not, or can't be made
        while high - low > 1:
            middle = (low + high) // 2
            low, high = (middle, high) if with_hem(middle) else (low, middle)
        hem = low * _STEP_MM
    else:
        higher = next((steps for steps in range(1, _STEPS + 1) if with_hem(-steps)), None)
        hem = None if higher is None else -higher * _STEP_MM
    panels: list[int] = []
    if not build.versions:
        panels = [count for count in _PANELS if enough((Change(at="draft.panels", value=count),), ())]
    edits = tuple(_hem(build, planned, hem)) if hem else ()
    return ClothThere(cloth=cloth, label=build.cloths[cloth].label, hem_mm=hem, panels=tuple(panels), edits=edits)


def _hem(build: Build, planned: Plan, deeper_mm: float) -> list[dict[str, Any]]:
    """Edits that lower the hem all round by so much."""
    pattern = build.current.pattern if build.current else planned.drafted
    if pattern is None or not deeper_mm:
        return []
    hem = pattern.hem
    places = ((0.0, hem.cf_mm), (1.0, hem.side_mm), (2.0, hem.cb_mm))
    return [{"kind": "point", "end": "hem", "place": place, "z_mm": z - deeper_mm} for place, z in places]
