"""The cut stage: every piece of every ply, what is bound and taped, and what of it is bought by its length (11)."""

from collections.abc import Sequence
from typing import Literal

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone
from fuseau.craft.layout.marker import MarkerAsk
from fuseau.craft.layout.pieces import ClothPiece, PieceMaker
from fuseau.craft.layout.strips import Strips, bias_strips, binding_length, least_width, side_by_side, strip_width
from fuseau.craft.materials.catalogue import GROMMETS
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.pattern.trueing import LaidPanel
from fuseau.craft.plies.methods import METHODS
from fuseau.document.build import Build
from fuseau.planning.plan import Plan

StripWhat = Literal["binding, top", "binding, hem", "channel tape", "waist tape", "loops"]


class StripPlan(Record):
    """What is cut or bought by its length: how wide, how long in all, in how many lengths; of a `cloth` the strips.

    None are told of a cloth that is too narrow for them.
    """

    what: StripWhat
    width_mm: float
    lengths_mm: tuple[float, ...]
    length_mm: float
    cloth: str | None = None
    strips: Strips | None = None


class ClothCut(Record):
    """All that is cut from one cloth: its pieces, and strips that are cut on the slant beside them.

    `strips_mm` is the length of the whole width that those take. `usable_mm`: selvedge to selvedge.
    """

    cloth: ClothName
    label: str
    usable_mm: float
    price_per_m: float
    one_way: bool
    pieces: tuple[ClothPiece, ...]
    strips_mm: float


class CutPlan(Record):
    """Everything that is cut, cloth by cloth from the skin out, and what is bound, taped and looped."""

    cloths: tuple[ClothCut, ...]
    strips: tuple[StripPlan, ...]


def plan_cut(build: Build, planned: Plan) -> CutPlan:
    """Every piece of every ply by its cloth, and every strip. Empty while nothing is drafted."""
    strips = strips_of(build, planned)
    by_cloth: dict[ClothName, list[ClothPiece]] = {}
    for piece in pieces_of(build, planned):
        by_cloth.setdefault(piece.cloth, []).append(piece)
    cloths = []
    for name, pieces in by_cloth.items():
        cloth = build.cloths[name]
        slanting = side_by_side([one.strips for one in strips if one.strips and one.cloth == name])
        cloths.append(
            ClothCut(
                cloth=name,
                label=cloth.label,
                usable_mm=cloth.usable_mm,
                price_per_m=cloth.price_per_m,
                one_way=cloth.one_way,
                pieces=tuple(pieces),
                strips_mm=slanting,
            )
        )
    return CutPlan(cloths=tuple(cloths), strips=strips)


def marker_ask(build: Build, planned: Plan, cloth: ClothName, *, fold: bool, seconds: int) -> MarkerAsk:
    """What is to be laid on a cloth. Raises Unmakeable where nothing is cut from it."""
    found = next((one for one in plan_cut(build, planned).cloths if one.cloth == cloth), None)
    if found is None:
        raise Unmakeable("layers.plies", "cut.no_such_cloth")
    return MarkerAsk(
        pieces=found.pieces,
        usable_mm=found.usable_mm,
        fold=fold,
        separation_mm=build.practice.separation_mm,
        seconds=seconds,
    )


def pieces_of(build: Build, planned: Plan) -> tuple[ClothPiece, ...]:
    """Every piece of cloth that has to be cut, ply by ply from the skin out. Empty while nothing is drafted."""
    pattern, layers = planned.pattern, planned.layers
    if pattern is None or layers is None:
        return ()
    maker = PieceMaker(
        layers=build.layers,
        plies=layers.plies,
        halves=(pattern.panels, pattern.left_panels),
        joined=pattern.joined,
        pieces=pattern.pieces,
        allowances=pattern.allowances,
        practice=build.practice,
        modesty=planned.modesty,
        front_open=planned.opening is not None and planned.opening.line == "CF" and planned.opening.kind != "none",
    )
    return maker.all()


def strips_of(build: Build, planned: Plan) -> tuple[StripPlan, ...]:
    """Bindings of both edges, tapes over channels and at the waist, loops of a lacing edge without holes."""
    pattern = planned.pattern
    if pattern is None:
        return ()
    found = []
    if METHODS[build.layers.method].edges == "bound":
        cloth = _binding_cloth(build)
        halves = pattern.panels, pattern.left_panels or pattern.panels
        ends: tuple[tuple[StripWhat, Literal["top", "hem"]], ...] = (("binding, top", "top"), ("binding, hem", "hem"))
        found += [_binding(build, cloth, what, [_edge(half, end) for half in halves]) for what, end in ends]
    rights = planned.bones
    lefts = planned.left.bones if planned.left else rights
    found += _channel_tapes([*rights, *lefts], build.practice.binding_turn_mm)
    if planned.waist_tape:
        found.append(_bought("waist tape", build.practice.waist_tape_mm, [planned.waist_tape.cut_mm] * 2))
    if planned.holes and build.back.holes == "tape_loop":
        count = planned.holes.count
        found.append(_bought("loops", GROMMETS["tape_loop"].hole_mm, [build.practice.loop_mm] * count))
    return tuple(found)


def _binding_cloth(build: Build) -> Cloth:
    """What an edge is bound with: what lies outermost and does not show through, else the strength cloth."""
    outer = [build.cloths[ply.cloth] for ply in build.layers.outside if ply.role == "fashion"]
    return outer[-1] if outer else build.stack.cloth


def _edge(half: Sequence[LaidPanel], end: Literal["top", "hem"]) -> float:
    return sum(length_of(panel.top if end == "top" else panel.hem) for panel in half)


def _binding(build: Build, cloth: Cloth, what: StripWhat, edges_mm: Sequence[float]) -> StripPlan:
    practice = build.practice
    width = strip_width(practice.binding_mm, build.stack.total_mm)
    lengths = tuple(binding_length(edge, practice) for edge in edges_mm)
    return StripPlan(
        what=what,
        width_mm=width,
        lengths_mm=lengths,
        length_mm=sum(lengths),
        cloth=cloth.name,
        strips=bias_strips(sum(lengths), width, cloth.usable_mm, practice)
        if cloth.usable_mm >= least_width(width, practice)
        else None,
    )


def _channel_tapes(bones: Sequence[Bone], turn_mm: float) -> list[StripPlan]:
    """Tapes over channels, by their finished width: along each path, turned in at both ends."""
    by_width: dict[float, list[float]] = {}
    for bone in bones:
        if bone.strip_mm is not None:
            by_width.setdefault(bone.strip_mm, []).append(bone.path_mm + 2 * turn_mm)
    return [_bought("channel tape", width, lengths) for width, lengths in sorted(by_width.items())]


def _bought(what: StripWhat, width_mm: float, lengths_mm: Sequence[float]) -> StripPlan:
    return StripPlan(what=what, width_mm=width_mm, lengths_mm=tuple(lengths_mm), length_mm=sum(lengths_mm))
