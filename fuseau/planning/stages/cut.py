"""The cut stage: every piece of every ply, what is bound and taped, and what of it is bought by its length (11)."""

import math
from collections.abc import Container, Sequence
from typing import Literal

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import message
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone
from fuseau.craft.closures.front import sewn_shut
from fuseau.craft.layout.at_hand import LayAsk, Laying
from fuseau.craft.layout.nesting import LaidSheet, Sheet
from fuseau.craft.layout.pieces import ClothPiece, PieceMaker
from fuseau.craft.layout.strips import (
    Strips,
    bias_strips_beside,
    binding_length,
    least_width,
    side_by_side,
    strip_width,
)
from fuseau.craft.making.steps import cut_step
from fuseau.craft.materials.catalogue import GROMMETS
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.pattern.trueing import LaidPanel
from fuseau.craft.plies.methods import METHODS
from fuseau.craft.plies.repeats import repeat_cloth
from fuseau.craft.stock.stock import Stock
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.stages.pads import pad_pieces
from fuseau.planning.trims.work import hanging_pieces

PAST_MM = 5.0  # a length is cut off so far beyond its last piece
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

    `strips_mm` is the length of the whole width that those take, `repeats_mm` what matching a repeat takes beside the
    pieces. `usable_mm`: selvedge to selvedge. `is_cut`, as any page tells; `ticked`: while making, so that what it was
    cut from still lies on the shelf.
    """

    cloth: ClothName
    is_cut: bool
    ticked: bool
    label: str
    usable_mm: float
    price_per_m: float
    one_way: bool
    pieces: tuple[ClothPiece, ...]
    strips_mm: float
    repeats_mm: float = 0.0

    @property
    def beside_mm(self) -> float:
        """What it takes of the cloth's length beside the pieces."""
        return self.strips_mm + self.repeats_mm


class Use(Record):
    """What is used of a sheet: mm of a length or 1 of a scrap, and how much of its length lies beside the pieces."""

    amount: float
    beside_mm: float


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
        beside = build.cut.binding_joins is None  # else they lie among the pieces
        slanting = side_by_side([strip.strips for strip in strips if beside and strip.strips and strip.cloth == name])
        cloths.append(
            ClothCut(
                cloth=name,
                is_cut=name in build.cut_cloths,
                ticked=name not in build.cut.done and build.ticked_off(cut_step(name)),
                label=cloth.label,
                usable_mm=cloth.usable_mm,
                price_per_m=cloth.price_per_m,
                one_way=cloth.one_way,
                pieces=tuple(pieces),
                strips_mm=slanting,
                repeats_mm=_repeats(build, cloth, pieces),
            )
        )
    return CutPlan(cloths=tuple(cloths), strips=strips)


def _repeats(build: Build, cloth: Cloth, pieces: Sequence[ClothPiece]) -> float:
    """What stripes and motifs cost of a cloth's length."""
    sizes = []
    for piece in pieces:
        ply = build.layers.plies[piece.ply]
        if piece.panels and ply.cloth == cloth.name and (ply.matched or set(piece.panels) & set(ply.motif_on)):
            xs, zs = zip(*piece.outline, strict=True)
            sizes.append((max(xs) - min(xs), max(zs) - min(zs), piece.count))
    across = cloth.repeat_across_mm if sizes else 0.0
    return repeat_cloth(sizes, cloth.repeat_along_mm, across, cloth.usable_mm)


def lay_ask(
    build: Build, planned: Plan, cloth: ClothName, at_hand: Sequence[tuple[Stock, float]], seconds: int
) -> LayAsk:
    """What is to be laid on a cloth, and on what of it there is: pieces of the shelf, each with how much is free.

    Raises Unmakeable where nothing is cut from it.
    """
    found = next((one for one in plan_cut(build, planned).cloths if one.cloth == cloth), None)
    if found is None:
        raise Unmakeable("layers.plies", "cut.no_such_cloth")
    sheets = sheets_of(build, cloth, at_hand)
    return LayAsk(
        pieces=found.pieces,
        sheets=sheets,
        usable_mm=found.usable_mm,
        fold=cloth in build.cut.fold,
        pinned=build.cut.pinned.get(cloth, ()),
        separation_mm=build.practice.separation_mm,
        seconds=seconds,
    )


def sheets_of(build: Build, cloth: ClothName, at_hand: Sequence[tuple[Stock, float]]) -> tuple[Sheet, ...]:
    """What of a cloth on the shelf may be cut from: what she has not left aside, as far as it is free."""
    found = []
    for piece, free in at_hand:
        if piece.sort != "cloth" or piece.name != cloth or piece.id in build.cut.leave:
            continue
        shape = piece.shape
        if piece.measure == "length" and free < (piece.length_mm or 0.0):
            shape = tuple((min(x, free), y) for x, y in shape)
        found.append(Sheet(key=piece.id, outline=shape, flaws=piece.flaws))
    return tuple(found)


def to_buy_mm(laying: Laying, beside_mm: float) -> float:
    """How much new cloth it takes: what finds no place, and what lies beside the pieces where no length has room."""
    room = max((_beyond(sheet) for sheet in laying.sheets if sheet.sheet.is_length), default=0.0)
    return laying.short_mm + (0.0 if room >= beside_mm else beside_mm)


def uses_of(laying: Laying, beside_mm: float, lengths: Container[str]) -> dict[str, Use]:
    """What is used of each sheet at hand, by its number; those of `lengths` are taken by mm, all others whole.

    A length is cut off a little beyond its last piece. What lies beside the pieces comes from the length with most
    room, where nothing has to be bought.
    """
    roomy = max((sheet for sheet in laying.sheets if sheet.sheet.is_length), key=_beyond, default=None)
    bought = to_buy_mm(laying, beside_mm) > 0
    found = {}
    for sheet in laying.sheets:
        beside = beside_mm if sheet is roomy and not bought else 0.0
        if not sheet.placed and not beside:
            continue
        whole = sheet.sheet.whole.bounds[2]
        reach = min(whole, sheet.reach_mm + PAST_MM) if sheet.placed else 0.0
        amount = min(whole, reach + beside) if sheet.sheet.key in lengths else 1.0
        found[sheet.sheet.key] = Use(amount=amount, beside_mm=beside)
    return found


def _beyond(sheet: LaidSheet) -> float:
    """How much of a length is left beyond its pieces."""
    return sheet.sheet.whole.bounds[2] - sheet.reach_mm


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
        front_open=not sewn_shut(planned.opening, laced=build.back.laced).at_cf,
        flap_mm=planned.opening.flap_mm if planned.opening is not None else None,
        facing=build.cut.facing,
        modesty_cloth=build.cut.modesty,
    )
    return (
        *maker.all(),
        *_binding_pieces(build, planned),
        *hanging_pieces(build, planned),
        *pad_pieces(build, planned),
    )


def _binding_pieces(build: Build, planned: Plan) -> tuple[ClothPiece, ...]:
    """The binding in strips with more joins, to lie among the other pieces, where she has it cut so."""
    joins = build.cut.binding_joins
    if joins is None:
        return ()
    practice = build.practice
    bindings = [strip for strip in strips_of(build, planned) if strip.cloth]
    if not bindings:
        return ()
    width, length = bindings[0].width_mm, sum(binding.length_mm for binding in bindings)
    lost = 2 * practice.join_allowance_mm * math.sqrt(2)
    each = (length + width + joins * lost) / (joins + 1)
    outline = ((0.0, 0.0), (width, width), (width, each + width), (0.0, each))  # its ends are the slant it is joined on
    cloth = bindings[0].cloth or ""
    place = next((i for i, ply in enumerate(build.layers.plies) if ply.cloth == cloth), build.layers.carrying)
    return (
        ClothPiece(
            key="binding",
            what="binding",
            label="",
            ply=place,
            cloth=cloth,
            panels=(),
            half=None,
            count=joins + 1,
            mirrored=False,
            outline=outline,
            stitch=outline,
            grain="bias",
            tolerance_deg=practice.grain_free_deg,
            one_way=build.cloths[cloth].one_way,
            note=message("piece.strips", count=joins + 1),
        ),
    )


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
        found += _bindings(build, cloth, [(what, [_edge(half, end) for half in halves]) for what, end in ends])
    rights = planned.bones
    lefts = planned.left.bones if planned.left else rights
    found += _channel_tapes([*rights, *lefts], build.practice.binding_turn_mm)
    if planned.waist_tape:
        found.append(_bought("waist tape", build.practice.waist_tape_mm, planned.waist_tape.cuts_mm))
    if planned.holes and build.back.holes == "tape_loop":
        count = planned.holes.count
        found.append(_bought("loops", GROMMETS["tape_loop"].hole_mm, [build.practice.loop_mm] * count))
    return tuple(found)


def _binding_cloth(build: Build) -> Cloth:
    """What an edge is bound with: as she has it, else what lies outermost and does not show through, or carries."""
    if build.cut.binding is not None:
        return build.cloths[build.cut.binding]
    outer = [build.cloths[ply.cloth] for ply in build.layers.outside if ply.role == "fashion"]
    return outer[-1] if outer else build.stack.cloth


def _edge(half: Sequence[LaidPanel], end: Literal["top", "hem"]) -> float:
    return sum(length_of(panel.top if end == "top" else panel.hem) for panel in half)


def _bindings(build: Build, cloth: Cloth, edges: Sequence[tuple[StripWhat, Sequence[float]]]) -> list[StripPlan]:
    """The bindings of one cloth, cut beside each other."""
    practice = build.practice
    width = strip_width(practice.binding_mm, build.stack.total_mm)
    lengths = [tuple(binding_length(edge, practice) for edge in halves) for _, halves in edges]
    strips: Sequence[Strips | None] = [None for _ in edges]
    if cloth.usable_mm >= least_width(width, practice):
        strips = bias_strips_beside([sum(both) for both in lengths], width, cloth.usable_mm, practice)
    return [
        StripPlan(what=what, width_mm=width, lengths_mm=both, length_mm=sum(both), cloth=cloth.name, strips=cut)
        for (what, _), both, cut in zip(edges, lengths, strips, strict=True)
    ]


def _channel_tapes(bones: Sequence[Bone], turn_mm: float) -> list[StripPlan]:
    """Tapes over channels, by their finished width: along each path, turned in at both ends."""
    by_width: dict[float, list[float]] = {}
    for bone in bones:
        if bone.strip_mm is not None:
            by_width.setdefault(bone.strip_mm, []).append(bone.path_mm + 2 * turn_mm)
    return [_bought("channel tape", width, lengths) for width, lengths in sorted(by_width.items())]


def _bought(what: StripWhat, width_mm: float, lengths_mm: Sequence[float]) -> StripPlan:
    return StripPlan(what=what, width_mm=width_mm, lengths_mm=tuple(lengths_mm), length_mm=sum(lengths_mm))
