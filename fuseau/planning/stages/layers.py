"""The layers' stage: every ply as it will be made, what is odd about them, and the methods side by side."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Self

from pydantic import Field

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.findings import Change, Finding, Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone, in_a_fold
from fuseau.craft.closures.back import ModestyPanel
from fuseau.craft.closures.front import Opening, sewn_shut
from fuseau.craft.fit.fit import Fit
from fuseau.craft.layout.pieces import PieceMaker, PieceWhat
from fuseau.craft.materials.catalogue import GROMMETS
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.materials.minutes import Work
from fuseau.craft.materials.stack import take_up
from fuseau.craft.pattern.pattern import Allowances, Pattern
from fuseau.craft.pattern.trueing import LaidPiece
from fuseau.craft.plies.checks import check_overlay, check_plies, check_repeat, check_thick
from fuseau.craft.plies.layers import Layers, MethodName, Mounted, Ply
from fuseau.craft.plies.methods import METHODS, ChannelMade, Counted, Method, mounted, work
from fuseau.craft.plies.overlay import OverlayPlan, overlay
from fuseau.craft.plies.reckoning import PlyPlan, Thick, at_hole, at_seam, reckon
from fuseau.craft.plies.repeats import RepeatPlan, matches
from fuseau.document.build import Build
from fuseau.planning.garment.halves import Halves

_USED_SHARE = 0.75  # of a cloth, once pieces are laid on it; the cut page has it exactly
_LINING = Ply(role="lining", cloth="lawn")


class MethodSide(Record):
    """A method beside the others, with her plies and what it would add to them.

    `changes` choose it: the method, its channels, and a lining where it wants one and there is none.
    """

    name: MethodName
    chosen: bool
    adds_lining: bool
    channels: ChannelMade
    mounted: tuple[Mounted, ...]
    hides_inside: bool
    hides_outside: bool
    lets_out: int
    good: Message
    mind: Message
    minutes: float
    seam: Thick
    hole: Thick | None
    take_up_mm: float
    grams: float
    price: float
    changes: tuple[Change, ...]


class ClothBeside(Record):
    """A piece of cloth that is neither panel nor let in between panels: what, of which cloth, and its weight."""

    what: PieceWhat
    cloth: ClothName
    grams: float


class LayersPlan(Record):
    """The plies from the skin out, and what they come to; `grams` and `price` are of these and of what is `beside`.

    `overlays` by the place of a ply in one piece, `repeats` of one whose stripe or motif is to meet.

    `minutes` are by kind of work, from cutting to the bound edge, without bones, holes and trims.
    """

    plies: tuple[PlyPlan, ...]
    overlays: dict[int, OverlayPlan] = Field(default_factory=dict)
    repeats: dict[int, RepeatPlan] = Field(default_factory=dict)
    seam: Thick
    hole: Thick | None
    total_mm: float
    take_up_mm: float
    beside: tuple[ClothBeside, ...]
    grams: float
    price: float
    minutes: dict[Work, float]
    methods: tuple[MethodSide, ...]


@dataclass(frozen=True)
class LayersInputs:
    """What the layers follow from."""

    layers: Layers
    cloths: Mapping[ClothName, Cloth]
    halves: Halves
    allowances: Allowances
    joined: tuple[int, ...]
    side_seam: int
    pieces: tuple[LaidPiece, ...]
    shut: int
    front_open: bool
    flap_mm: tuple[float, float] | None
    modesty: ModestyPanel | None
    facing_cloth: ClothName | None
    modesty_cloth: ClothName | None
    channels: tuple[ChannelMade, ...]
    kept: tuple[ChannelMade, ...]
    held: tuple[tuple[int, float], ...]
    bust: bool
    tensions_n_per_m: tuple[tuple[str, float], ...]
    grip_mm: float | None
    taped: bool
    channel_tape_mm: float
    bound_by_hand: bool
    practice: Practice

    @classmethod
    def of(
        cls,
        build: Build,
        halves: Halves,
        pattern: Pattern,
        pieces: tuple[LaidPiece, ...],
        bones: tuple[Bone, ...],
        lefts: tuple[Bone, ...] | None,
        worn: Fit,
        *,
        opening: Opening | None,
        modesty: ModestyPanel | None,
        taped: bool,
    ) -> Self:
        """Taken from the build, its pattern laid flat with its `pieces`, its channels, what opens, how it is worn."""
        shut = sewn_shut(opening, laced=build.back.laced)
        both = (*bones, *(bones if lefts is None else lefts))

        def kept(bone: Bone) -> bool:
            return in_a_fold(bone.channel) or bone.channel in build.bones.made_by_channel

        # what no hand can close is never worn so: that is said of the closing, and asks nothing of the cloth
        most = math.inf if build.back.laced else build.practice.zip_closes_n_per_m
        names = [level.name for level in worn.levels if level.pressure_kpa is not None]
        return cls(
            layers=build.layers,
            cloths=build.cloths,
            halves=halves,
            allowances=pattern.allowances,
            joined=pattern.joined,
            side_seam=pattern.front_panels,
            pieces=pieces,
            shut=sum(shut),
            front_open=not shut.at_cf,
            flap_mm=opening.flap_mm if opening is not None else None,
            modesty=modesty,
            facing_cloth=build.cut.facing,
            modesty_cloth=build.cut.modesty,
            channels=tuple(bone.made for bone in both if not kept(bone)),
            kept=tuple(bone.made for bone in both if kept(bone)),
            held=tuple((bone.panel, bone.across) for bone in bones if bone.across is not None),
            bust="bust" in names,
            tensions_n_per_m=tuple((name, min(pull, most)) for name, pull in zip(names, worn.pull_at, strict=False)),
            grip_mm=GROMMETS[build.back.holes].grip_mm if build.back.laced else None,
            taped=taped,
            channel_tape_mm=build.practice.channel_tape_mm,
            bound_by_hand=build.make.binding == "by hand",
            practice=build.practice,
        )


@dataclass(frozen=True)
class LayersLaid:
    """The layers' plan, and what is said of it."""

    plan: LayersPlan
    findings: tuple[Finding, ...]


def lay_layers(inputs: LayersInputs) -> LayersLaid:
    """Every ply, the methods side by side, and what is odd."""
    layers, cloths, practice = inputs.layers, inputs.cloths, inputs.practice
    panels = inputs.halves.right.panels
    plies, beside = _reckoned(inputs, layers)
    parts: Sequence[PlyPlan | ClothBeside] = [*plies, *beside]
    held: dict[int, list[float]] = {}
    for panel, across in inputs.held:
        held.setdefault(panel, []).append(across)
    overlays = {
        i: overlay(panels, planned.panels, held, cloths[planned.cloth], planned.grain, practice)
        for i, planned in enumerate(plies)
        if planned.mounted == "overlaid in one piece"
    }
    repeats = {
        i: RepeatPlan(
            along_mm=cloth.repeat_along_mm,
            across_mm=cloth.repeat_across_mm,
            seams=matches(panels, planned.panels, practice) if ply.matched else (),
        )
        for i, (ply, planned) in enumerate(zip(layers.plies, plies, strict=True))
        if (cloth := cloths[ply.cloth]) and (ply.matched or ply.motif_on)
    }
    tape = inputs.channel_tape_mm if any("tape" in made for made in (*inputs.channels, *inputs.kept)) else 0.0
    seam = at_seam(layers, cloths, practice, tape_mm=tape)
    hole = None if inputs.grip_mm is None else at_hole(layers, cloths, inputs.grip_mm, len(panels))
    shell = sum(ply.thickness_mm for ply in plies if ply.sewn_as_one or ply.mounted == "bagged")
    counted = _counted(inputs)
    stack = layers.stack(len(panels), cloths)
    planned = LayersPlan(
        plies=plies,
        overlays=overlays,
        repeats=repeats,
        seam=seam,
        hole=hole,
        total_mm=stack.total_mm,
        take_up_mm=take_up(stack, 2 * (len(panels) - 1), practice),
        beside=beside,
        grams=sum(part.grams for part in parts),
        price=_price(parts, cloths),
        minutes=work(layers, cloths, counted),
        methods=(),
    )
    lined = parts
    if all(ply.role != "lining" for ply in layers.plies):
        more = _reckoned(inputs, layers.model_copy(update={"plies": (_LINING, *layers.plies)}))
        lined = [*more[0], *more[1]]
    sides = tuple(_side(inputs, method, counted, planned, lined) for method in METHODS.values())
    findings = (
        *check_plies(layers, plies, len(panels), cloths, practice),
        *check_thick(layers, seam, hole, shell),
        *(one for i, told in overlays.items() for one in check_overlay(i, plies[i].label, told)),
        *(one for i, told in repeats.items() for one in check_repeat(i, plies[i].label, told)),
    )
    return LayersLaid(planned.model_copy(update={"methods": sides}), findings)


def _price(parts: Sequence[PlyPlan | ClothBeside], cloths: Mapping[ClothName, Cloth]) -> float:
    """What cloth costs, from its weight: as much as that is, and what falls off between pieces beside it."""

    def price(part: PlyPlan | ClothBeside) -> float:
        cloth = cloths[part.cloth]
        return part.grams / cloth.mass_g_m2 / _USED_SHARE / (cloth.usable_mm / 1000) * cloth.price_per_m

    return sum(map(price, parts))


def _counted(inputs: LayersInputs) -> Counted:
    right, left = inputs.halves.both
    both = [*right.panels, *left.panels]
    edges = sum(length_of(edge) for panel in both for edge in (panel.top, panel.hem))
    return Counted(
        panels=len(right.panels),
        shut=inputs.shut,
        curved=inputs.bust,
        channels=inputs.channels,
        kept=inputs.kept,
        edges_mm=edges,
        bound_by_hand=inputs.bound_by_hand,
    )


def _reckoned(inputs: LayersInputs, layers: Layers) -> tuple[tuple[PlyPlan, ...], tuple[ClothBeside, ...]]:
    """The plies, each with what is let in between its panels, and what is cut beside them."""
    right, left = inputs.halves.both
    plies = reckon(
        layers,
        inputs.cloths,
        (right.panels, left.panels),
        inputs.allowances,
        dict(inputs.tensions_n_per_m),
        inputs.practice,
        taped=inputs.taped,
        side_seam=inputs.side_seam,
        joined=inputs.joined,
    )
    maker = PieceMaker(
        layers=layers,
        plies=plies,
        halves=(right.panels, inputs.halves.left.panels if inputs.halves.left else None),
        joined=inputs.joined,
        pieces=inputs.pieces,
        allowances=inputs.allowances,
        practice=inputs.practice,
        modesty=inputs.modesty,
        front_open=inputs.front_open,
        flap_mm=inputs.flap_mm,
        facing=inputs.facing_cloth,
        modesty_cloth=inputs.modesty_cloth,
    )
    let_in = [0.0 for _ in plies]
    beside = []
    for piece in maker.beside_panels():
        grams = piece.count * piece.area_mm2 * inputs.cloths[piece.cloth].mass_g_m2 / 1e6
        if piece.what in ("modesty panel", "facing", "flap"):
            beside.append(ClothBeside(what=piece.what, cloth=piece.cloth, grams=grams))
        else:
            let_in[piece.ply] += grams
    more = zip(plies, let_in, strict=True)
    return tuple(ply.model_copy(update={"grams": ply.grams + grams}) for ply, grams in more), tuple(beside)


def _side(
    inputs: LayersInputs,
    method: Method,
    counted: Counted,
    as_it_is: LayersPlan,
    with_lining: Sequence[PlyPlan | ClothBeside],
) -> MethodSide:
    layers, cloths, practice = inputs.layers, inputs.cloths, inputs.practice
    chosen = method.name == layers.method
    # what is chosen is as she has it: a lining that is not there costs nothing
    adds = not chosen and method.wants_lining and all(ply.role != "lining" for ply in layers.plies)
    lined = (_LINING, *layers.plies) if adds else layers.plies
    made = layers.model_copy(update={"method": method.name, "plies": lined})
    as_laid: Sequence[PlyPlan | ClothBeside] = [*as_it_is.plies, *as_it_is.beside]
    parts = with_lining if adds else as_laid
    panels = len(inputs.halves.right.panels)
    changes = [Change(at="layers.method", value=method.name), Change(at="bones.made", value=method.channels)]
    if adds:
        changes.insert(0, Change(at="layers.plies", value=[ply.model_dump(mode="json") for ply in made.plies]))
    code = method.name.replace(",", "").replace(" ", "_").replace("-", "_")
    tape = inputs.channel_tape_mm if "tape" in method.channels else 0.0
    return MethodSide(
        name=method.name,
        chosen=chosen,
        adds_lining=adds,
        channels=method.channels,
        mounted=mounted(made, cloths),
        hides_inside=method.hides_inside,
        hides_outside=method.hides_outside,
        lets_out=method.lets_out,
        good=message(f"method.good.{code}"),
        mind=message(f"method.mind.{code}"),
        minutes=sum(work(made, cloths, counted, None if chosen else method).values()),
        seam=as_it_is.seam if chosen else at_seam(made, cloths, practice, tape_mm=tape),
        hole=None if inputs.grip_mm is None else at_hole(made, cloths, inputs.grip_mm, panels),
        take_up_mm=take_up(made.stack(panels, cloths), 2 * (panels - 1), practice),
        grams=sum(part.grams for part in parts),
        price=_price(parts, cloths),
        changes=tuple(changes),
    )
