"""The stage of trims: what lies on the garment and hangs from it, what it takes, and whether it is held (model, 15)."""

import math
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Literal, Self, TypeVar

from pydantic import Field
from shapely.geometry.base import BaseGeometry

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Finding, Message, finding, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone
from fuseau.craft.closures.front import Opening
from fuseau.craft.fit.fit import Fit
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.materials.minutes import MINUTES, Work
from fuseau.craft.pattern.trueing import LaidPanel, Point
from fuseau.craft.trims.along import AlongLaid, lay_along
from fuseau.craft.trims.areas import AreaLaid, Hardware, PanelRoom, lay_area, panel_room
from fuseau.craft.trims.chains import chain_length, chain_sag
from fuseau.craft.trims.choices import Hanging, TrimChoices, TrimLine
from fuseau.craft.trims.flossing import FlossingLaid, lay_flossing
from fuseau.craft.trims.gathers import Circle, TierCut, circle, fullness_at_hand, tier_cut
from fuseau.craft.trims.hold import Load, load, shape_holds
from fuseau.craft.trims.lines import OnPanel, RunLine, run_line
from fuseau.craft.trims.straps import StrapLaid, lay_strap
from fuseau.document.build import Build
from fuseau.planning.halves import Halves

_SEAM_MM = 10.0  # that frills and skirts are joined with
CLEAR_MM = 10.0  # of a seam line, for work over an area (handbook, 7)
_BUSK_MM = 2 * 28.0
_OPENING_MM = 2 * 15.0

TrimGroup = Literal["along", "areas", "flossing", "hanging", "straps", "chains"]


class Shown(Record):
    """A trim as it is planned: where it lies, or why it can't be as it is."""

    key: str
    name: str
    parts: tuple[OnPanel, ...] = ()
    left_parts: tuple[OnPanel, ...] = ()
    fault: Message | None = None
    fault_at: str | None = None
    minutes: float = 0.0


class AlongShown(Shown):
    """Something along a line."""

    laid: AlongLaid | None = None
    spots: tuple[tuple[int, tuple[float, float]], ...] = ()


class AreaShown(Shown):
    """Something over an area."""

    laid: AreaLaid | None = None


class FlossingShown(Shown):
    """Flossing at bone ends."""

    laid: FlossingLaid | None = None


class HangingShown(Shown):
    """A frill or skirt: the line it is sewn to, in all, its tiers or its circle, and what it takes.

    `grams` of its cloth and of what else hangs on it. `at_hand`: the fullness is what the cloth at hand gives.
    """

    along_mm: float = 0.0
    tiers: tuple[TierCut, ...] = ()
    circle: Circle | None = None
    at_hand: bool = False
    cloth: ClothName = ""
    cloth_label: str = ""
    cloth_mm: float | None = None
    hem_mm: float = 0.0
    grams: float = 0.0
    price: float = 0.0
    own_band: bool = False
    opens: str = ""
    works: tuple[tuple[Work, float], ...] = ()


class StrapShown(Shown):
    """A strap of each side."""

    laid: StrapLaid | None = None


class ChainShown(Shown):
    """Chains that are alike."""

    length_mm: float = 0.0
    sag_mm: float = 0.0
    count: int = 0
    loops: int = 0
    grams: float = 0.0
    price: float = 0.0
    works: tuple[tuple[Work, float], ...] = ()


class Helps(Record):
    """What would help where a garment slips: what it is, and the load after it."""

    what: Message
    after: Load
    band: bool = False


class TrimsPlan(Record):
    """All trims as they are planned. Grams and prices of both halves; `works` all that they take.

    `load` is all that weighs on the garment, itself included, against what holds it; None where nothing hangs on it.
    """

    along: tuple[AlongShown, ...] = ()
    areas: tuple[AreaShown, ...] = ()
    flossing: tuple[FlossingShown, ...] = ()
    hanging: tuple[HangingShown, ...] = ()
    straps: tuple[StrapShown, ...] = ()
    chains: tuple[ChainShown, ...] = ()
    rooms: tuple[PanelRoom, ...] = ()
    grams: float = 0.0
    hanging_grams: float = 0.0
    price: float = 0.0
    minutes: float = 0.0
    thread_mm: float = 0.0
    works: dict[Work, float] = Field(default_factory=dict)
    load: Load | None = None
    helps: tuple[Helps, ...] = ()


@dataclass(frozen=True)
class TrimsInputs:
    """What the trims follow from."""

    trims: TrimChoices
    halves: Halves
    front_panels: int
    bones: tuple[Bone, ...]
    lefts: tuple[Bone, ...] | None
    hole_z_mm: tuple[float, ...]
    hole_inset_mm: float
    hole_mm: float
    opening: Opening | None
    laced: bool
    gap_mm: float
    own_grams: float
    friction_n: float
    levels: tuple[tuple[float, float, float], ...]
    cloths: Mapping[ClothName, Cloth]
    practice: Practice

    @classmethod
    def of(
        cls,
        build: Build,
        halves: Halves,
        front_panels: int,
        bones: tuple[Bone, ...],
        lefts: tuple[Bone, ...] | None,
        holes: tuple[tuple[float, ...], float, float] | None,
        opening: Opening | None,
        worn: Fit,
        own_grams: float,
    ) -> Self:
        """Taken from the build and what the stages before came to. `holes`: heights, inset and size of the flange."""
        heights, inset, flange = holes or ((), 0.0, 0.0)
        return cls(
            build.trims,
            halves,
            front_panels,
            bones,
            lefts,
            heights,
            inset,
            flange,
            opening,
            build.back.laced,
            worn.shape.mean_mm if build.back.laced else 0.0,
            own_grams,
            worn.holds_up_n,
            tuple(
                (level.z_mm, level.squeezed_mm, level.pressure_kpa * level.squeezed_mm / (2 * math.pi))
                for level in worn.levels
                if level.squeezed_mm is not None and level.pressure_kpa is not None
            ),
            build.cloths,
            build.practice,
        )

    def panels(self, left: bool = False) -> Sequence[LaidPanel]:
        """The panels of a half."""
        return self.halves.both[1 if left else 0].panels

    def bones_of(self, left: bool = False) -> tuple[Bone, ...]:
        """The bones of a half."""
        return self.bones if not left or self.lefts is None else self.lefts

    @property
    def opens_in_front(self) -> bool:
        """Whether CF is open."""
        return self.opening is not None and self.opening.kind != "none" and self.opening.line == "CF"


@dataclass(frozen=True)
class TrimsLaid:
    """The trims' plan, and what is said of it."""

    plan: TrimsPlan | None
    findings: tuple[Finding, ...]


_S = TypeVar("_S", bound=Shown)


def lay_trims(inputs: TrimsInputs) -> TrimsLaid:
    """Every trim as it lies and what it takes. One that can't be as it is says so at its field, and stops no other."""
    trims = inputs.trims
    rooms = rooms_of(inputs) if trims.areas else ()
    along = tuple(_along(inputs, i) for i in range(len(trims.along)))
    areas = tuple(_area(inputs, i, rooms) for i in range(len(trims.areas)))
    floss = tuple(_flossing(inputs, i) for i in range(len(trims.flossing)))
    hanging = tuple(_hanging(inputs, i) for i in range(len(trims.hanging)))
    straps = tuple(_strap(inputs, i) for i in range(len(trims.straps)))
    chains = tuple(_chain(inputs, i) for i in range(len(trims.chains)))
    works: dict[Work, float] = {}
    for found in _all_works(along, areas, floss, hanging, straps, chains):
        for work, times in found:
            works[work] = works.get(work, 0.0) + times
    on_it = sum(laid.grams for laid in _lies_on(along, areas)) + sum(one.grams for one in chains)
    hangs = sum(one.grams for one in hanging if not one.own_band)
    loaded, helps = _load(inputs, on_it, hangs, straps)
    plan = TrimsPlan(
        along=along,
        areas=areas,
        flossing=floss,
        hanging=hanging,
        straps=straps,
        chains=chains,
        rooms=tuple(room for room, _ in rooms),
        grams=on_it,
        hanging_grams=sum(one.grams for one in hanging),
        price=sum(laid.price for laid in _lies_on(along, areas))
        + sum(one.price for one in hanging)
        + sum(one.price for one in chains),
        minutes=sum(MINUTES[work] * times for work, times in works.items()),
        thread_mm=sum(laid.thread_mm for laid in _lies_on(along, areas))
        + sum(one.laid.thread_mm for one in floss if one.laid),
        works=works,
        load=loaded,
        helps=helps,
    )
    return TrimsLaid(plan, tuple(_check(inputs, plan)))


def _lies_on(along: Sequence[AlongShown], areas: Sequence[AreaShown]) -> Iterator[AlongLaid | AreaLaid]:
    yield from (one.laid for one in along if one.laid)
    yield from (one.laid for one in areas if one.laid)


def _all_works(
    along: Sequence[AlongShown],
    areas: Sequence[AreaShown],
    floss: Sequence[FlossingShown],
    hanging: Sequence[HangingShown],
    straps: Sequence[StrapShown],
    chains: Sequence[ChainShown],
) -> Iterator[tuple[tuple[Work, float], ...]]:
    yield from (laid.works for laid in _lies_on(along, areas))
    yield from (one.laid.works for one in floss if one.laid)
    yield from (one.works for one in hanging)
    yield from (one.works for one in chains)
    yield from ((("strap", float(one.laid.count)),) for one in straps if one.laid)


def _guarded(lay: Callable[[], _S], otherwise: Callable[[Message, str], _S]) -> _S:
    try:
        return lay()
    except Unmakeable as error:
        return otherwise(error.message, error.at)


def _channels(bones: Sequence[Bone]) -> dict[str, tuple[int, Sequence[Point]]]:
    return {bone.channel: (bone.panel, bone.path) for bone in bones}


def line_of(inputs: TrimsInputs, line: TrimLine, at: str, left: bool = False) -> RunLine:
    """A line as it runs over a half."""
    return run_line(line, inputs.panels(left), _channels(inputs.bones_of(left)), at)


def _parts(inputs: TrimsInputs, line: TrimLine, at: str) -> tuple[RunLine, tuple[OnPanel, ...], tuple[OnPanel, ...]]:
    """A line on the half that it is meant for, what of it lies on the right half, and what on the left."""
    right = line_of(inputs, line, at) if line.half != "left" else None
    alike = right is not None and inputs.halves.left is None and (line.on != "channel" or inputs.lefts is None)
    left = None
    if line.half != "right":
        left = right if alike else line_of(inputs, line, at, left=True)
    run = right or left
    assert run is not None
    return run, right.parts if right else (), left.parts if left else ()


def _along(inputs: TrimsInputs, i: int) -> AlongShown:
    trim, at = inputs.trims.along[i], f"trims.along.{i}"

    def lay() -> AlongShown:
        run, right, left = _parts(inputs, trim.line, at)
        round_ = trim.line.on in ("top line", "hem", "waist")
        laid = lay_along(trim, run, meets_at_cf=round_ and not inputs.opens_in_front)
        return AlongShown(
            key=trim.key,
            name=trim.name,
            parts=right,
            left_parts=left,
            laid=laid,
            spots=tuple(run.at(place) for place in laid.at_mm),
            minutes=_minutes(laid.works),
        )

    return _guarded(lay, lambda said, field: AlongShown(key=trim.key, name=trim.name, fault=said, fault_at=field))


def _minutes(works: Sequence[tuple[Work, float]]) -> float:
    return sum(MINUTES[work] * times for work, times in works)


def hardware_of(
    panel: LaidPanel,
    panels: Sequence[LaidPanel],
    bones: Sequence[Bone],
    holes: tuple[tuple[float, ...], float, float] | None,
    opening: Opening | None,
) -> Hardware:
    """What can't be sewn through on a panel: its channels, the holes of the lacing edge, and what opens.

    `holes`: their heights, how far in from CB they lie, and how wide they are.
    """
    channels = tuple(
        (bone.path, bone.strip_mm or bone.channel_width_mm) for bone in bones if bone.panel == panel.number
    )
    punched: tuple[tuple[Point, float], ...] = ()
    if holes is not None and panel.number == len(panels):
        heights, inset, wide = holes
        punched = tuple(((_x_at(panel.cb_edge, z) - inset, z), max(4.0, wide / 2)) for z in heights)
    bands = tuple((edge, wide) for number, edge, wide in _opening_edges(opening, panels) if number == panel.number)
    return Hardware(channels, punched, bands)


def _opening_edges(
    opening: Opening | None, panels: Sequence[LaidPanel]
) -> Iterator[tuple[int, tuple[Point, ...], float]]:
    """The edges along which the garment opens: of which panel, and how wide what closes them is, both sides."""
    if opening is None or opening.kind == "none":
        return
    wide = _BUSK_MM if opening.kind == "busk" else _OPENING_MM
    if opening.line == "CF":
        yield 1, panels[0].cf_edge, wide
    elif opening.line == "CB":
        yield len(panels), panels[-1].cb_edge, wide
    else:
        yield opening.seam, panels[opening.seam - 1].cb_edge, wide
        if opening.seam < len(panels):
            yield opening.seam + 1, panels[opening.seam].cf_edge, wide


def _x_at(edge: Sequence[Point], z: float) -> float:
    points = sorted(edge, key=lambda point: point[1])
    for (x0, z0), (x1, z1) in zip(points, points[1:], strict=False):
        if z0 <= z <= z1:
            return x0 + (x1 - x0) * (z - z0) / (z1 - z0 or 1.0)
    return points[0][0] if z < points[0][1] else points[-1][0]


Room = tuple[PanelRoom, BaseGeometry]


def rooms_of(inputs: TrimsInputs) -> tuple[Room, ...]:
    """What is free on every panel of the right half, with its shape."""
    panels = inputs.panels()
    holes = (inputs.hole_z_mm, inputs.hole_inset_mm, inputs.hole_mm) if inputs.hole_z_mm else None
    return tuple(
        panel_room(panel, hardware_of(panel, panels, inputs.bones, holes, inputs.opening), CLEAR_MM) for panel in panels
    )


def _area(inputs: TrimsInputs, i: int, rooms: Sequence[Room]) -> AreaShown:
    trim, at = inputs.trims.areas[i], f"trims.areas.{i}"

    def lay() -> AreaShown:
        laid = lay_area(trim, inputs.panels(), rooms, at)
        return AreaShown(key=trim.key, name=trim.name, laid=laid, minutes=_minutes(laid.works))

    return _guarded(lay, lambda said, field: AreaShown(key=trim.key, name=trim.name, fault=said, fault_at=field))


def _flossing(inputs: TrimsInputs, i: int) -> FlossingShown:
    trim = inputs.trims.flossing[i]

    def ends(bones: Sequence[Bone]) -> list[tuple[str, int, Point, Point]]:
        found = []
        for bone in bones:
            if bone.length_mm > 0:
                high, low = max(bone.bone_path, key=lambda p: p[1]), min(bone.bone_path, key=lambda p: p[1])
                found.append((bone.channel, bone.panel, high, low))
        return found

    laid = lay_flossing(trim, ends(inputs.bones), ends(inputs.bones_of(left=True)))
    name = f"flossing, {trim.pattern}"
    return FlossingShown(key=trim.key, name=name, laid=laid, minutes=_minutes(laid.works))


def _hanging(inputs: TrimsInputs, i: int) -> HangingShown:
    trim, at = inputs.trims.hanging[i], f"trims.hanging.{i}"

    def lay() -> HangingShown:
        run, right, left = _parts(inputs, trim.line, at)
        halves = 2 if trim.line.half == "both" else 1
        along = halves * run.length_mm
        cloth = inputs.cloths[trim.cloth]
        base = HangingShown(
            key=trim.key,
            name=trim.name,
            parts=right,
            left_parts=left,
            along_mm=along,
            cloth=cloth.name,
            cloth_label=cloth.label,
            own_band=trim.own_band,
            opens=trim.opens or "",
        )
        made = _circle(inputs, trim, base, cloth, at) if trim.cut == "circle" else _tiers(trim, base, cloth, at)
        return made.model_copy(update={"minutes": _minutes(made.works), "grams": made.grams + trim.more_grams})

    return _guarded(lay, lambda said, field: HangingShown(key=trim.key, name=trim.name, fault=said, fault_at=field))


def _hem_work(trim: Hanging, hem_mm: float) -> tuple[tuple[Work, float], ...]:
    if trim.hem == "not hemmed":
        return ()
    return (("hem rolled" if trim.hem == "rolled by machine" else "hem by hand", hem_mm / 100),)


def _hem(trim: Hanging) -> float:
    return 0.0 if trim.hem == "not hemmed" else trim.hem_mm


def _tiers(trim: Hanging, base: HangingShown, cloth: Cloth, at: str) -> HangingShown:
    usable, hem = cloth.usable_mm, _hem(trim)
    tiers, along, at_hand = [], base.along_mm, False
    for k, tier in enumerate(trim.tiers):
        last = k == len(trim.tiers) - 1
        sizes = {"seam_mm": _SEAM_MM, "hem_mm": hem if last else 0.0, "heading_mm": 0.0 if k else trim.heading_mm}
        if trim.at_hand_mm is not None and len(trim.tiers) == 1:
            full = fullness_at_hand(
                along, trim.at_hand_mm, usable, tier.depth_mm, along_the_cloth=trim.strips == "along", **sizes
            )
            if full < 1:
                raise Unmakeable(f"{at}.at_hand_mm", "trim.too_little", length_mm=trim.at_hand_mm, along_mm=along)
            tier, at_hand = tier.model_copy(update={"fullness": min(full, 6.0)}), True
        cut = tier_cut(
            along, tier, usable, round_=trim.opens == "nowhere", along_the_cloth=trim.strips == "along", **sizes
        )
        if trim.strips == "across" and usable <= 2 * _SEAM_MM:
            raise Unmakeable(f"{at}.cloth", "trim.narrow", cloth=cloth.label)
        if trim.strips == "along" and cut.high_mm > usable:
            raise Unmakeable(f"{at}.tiers.{k}.depth_mm", "trim.deep", usable_mm=usable)
        tiers.append(cut)
        along = cut.joined_mm
    area = sum(cut.joined_mm * cut.high_mm for cut in tiers)
    length = sum(cut.cloth_mm for cut in tiers)
    works: list[tuple[Work, float]] = [("gather and sew on", cut.along_mm / 100) for cut in tiers]
    works += [("sew a seam", float(sum(cut.joins for cut in tiers))), *_hem_work(trim, tiers[-1].joined_mm)]
    return base.model_copy(
        update={
            "tiers": tuple(tiers),
            "at_hand": at_hand,
            "cloth_mm": length,
            "hem_mm": tiers[-1].joined_mm,
            "grams": area / 1e6 * cloth.mass_g_m2,
            "price": length / 1000 * cloth.price_per_m,
            "works": tuple(works),
        }
    )


def _circle(inputs: TrimsInputs, trim: Hanging, base: HangingShown, cloth: Cloth, at: str) -> HangingShown:
    depth = sum(tier.depth_mm for tier in trim.tiers)
    found = circle(base.along_mm, depth, trim.part, cloth.usable_mm, seam_mm=_SEAM_MM, hem_mm=_hem(trim) / 2)
    if found.cloth_mm is None:
        raise Unmakeable(
            f"{at}.part", "trim.circle_wide", wide_mm=min(found.wide_mm, found.high_mm), usable_mm=cloth.usable_mm
        )
    if trim.at_hand_mm is not None and found.cloth_mm > trim.at_hand_mm:
        raise Unmakeable(f"{at}.at_hand_mm", "trim.circle_long", needed_mm=found.cloth_mm)
    area = math.radians(found.angle_deg) / 2 * (found.outer_cut_mm**2 - found.inner_cut_mm**2) * found.pieces
    works: list[tuple[Work, float]] = [("trim by machine", base.along_mm / 100), ("sew a seam", float(found.seams))]
    return base.model_copy(
        update={
            "circle": found,
            "cloth_mm": found.cloth_mm,
            "hem_mm": found.hem_mm,
            "grams": area / 1e6 * cloth.mass_g_m2,
            "price": found.cloth_mm / 1000 * cloth.price_per_m,
            "works": (*works, *_hem_work(trim, found.hem_mm)),
        }
    )


def _strap(inputs: TrimsInputs, i: int) -> StrapShown:
    trim, at = inputs.trims.straps[i], f"trims.straps.{i}"

    def lay() -> StrapShown:
        run = line_of(inputs, TrimLine(on="top line"), at)
        side = sum(_length(panel.top) for panel in inputs.panels()[: inputs.front_panels])
        if trim.front_mm > side:
            raise Unmakeable(f"{at}.front_mm", "strap.no_front", most_mm=side)
        back = run.length_mm - side
        front_at = run.at(min(trim.front_mm, side))
        back_at = run.at(max(side, run.length_mm - trim.back_mm))
        laid = lay_strap(trim, front_at[1][1], back_at[1][1], side, back, at)
        spots = [OnPanel(panel=panel, points=(point, point), from_mm=0.0) for panel, point in (front_at, back_at)]
        return StrapShown(
            key=trim.key,
            name=trim.name,
            parts=tuple(spots),
            laid=laid,
            minutes=laid.count * MINUTES["strap"],
        )

    return _guarded(lay, lambda said, field: StrapShown(key=trim.key, name=trim.name, fault=said, fault_at=field))


def _length(points: Sequence[Point]) -> float:
    return sum(math.dist(a, b) for a, b in zip(points, points[1:], strict=False))


def _chain(inputs: TrimsInputs, i: int) -> ChainShown:
    trim = inputs.trims.chains[i]
    length = trim.length_mm
    if length is None:
        length = chain_length(trim.span_mm, trim.sag_mm or 0.0, trim.lower_mm)
        sag = trim.sag_mm or 0.0
    else:
        sag = chain_sag(trim.span_mm, length, trim.lower_mm)
    whole = length * trim.count
    loops = trim.count * (math.ceil(length / trim.loop_pitch_mm) + 1) if trim.loops else 0
    works: tuple[tuple[Work, float], ...] = (
        (("loop for a trim", float(loops)),) if trim.loops else (("trim by hand", whole / 100),)
    )
    return ChainShown(
        key=trim.key,
        name=trim.name,
        length_mm=length,
        sag_mm=sag,
        count=trim.count,
        loops=loops,
        grams=whole / 1000 * trim.grams,
        price=whole / 1000 * trim.price,
        works=works,
        minutes=_minutes(works),
    )


# --- what holds it


def _load(
    inputs: TrimsInputs, on_it: float, hangs: float, straps: Sequence[StrapShown]
) -> tuple[Load | None, tuple[Helps, ...]]:
    """The weight on the garment against what holds it, and what would help where that is too little."""
    if not hangs and not on_it:
        return None, ()
    levels = inputs.levels
    shape = shape_holds(*zip(*levels, strict=True)) if len(levels) > 1 else 0.0
    whole = inputs.own_grams + on_it + hangs
    over = any(one.laid is not None for one in straps)
    here = load(whole, inputs.friction_n, shape, strapped=over)
    if here.word == "holds":
        return here, ()
    helps = []
    if hangs:
        helps.append(
            Helps(what=message("hold.own_band"), after=load(whole - hangs, inputs.friction_n, shape), band=True)
        )
    strapped = load(whole, inputs.friction_n, shape, strapped=True)
    helps.append(Helps(what=message("hold.straps", each_n=here.lacks_n / 2), after=strapped))
    return here, tuple(helps)


# --- what is said


def _check(inputs: TrimsInputs, plan: TrimsPlan) -> Iterator[Finding]:
    for one in (*plan.along, *plan.areas, *plan.hanging, *plan.straps):
        if one.fault is not None:
            yield finding(
                "trim.fault",
                "trims",
                "caution",
                at=one.fault_at,
                where=one.name,
                said=one.fault.code,
                also=one.fault.given,
            )
    for i, along in enumerate(plan.along):
        if along.laid and along.laid.short:
            yield _short(f"trims.along.{i}", along, along.laid.short, counted=along.laid.count is not None)
    for i, area in enumerate(plan.areas):
        wanted = inputs.trims.areas[i]
        if area.laid is None:
            continue
        if area.laid.short:
            yield _short(f"trims.areas.{i}", area, area.laid.short, counted=True)
        room = area.laid.halves * len(area.laid.fits)
        if wanted.how == "motif" and room < wanted.count:
            yield finding(
                "motif.no_room",
                "trims",
                "caution",
                at=f"trims.areas.{i}.count",
                where=area.name,
                numbers={"room": float(room), "count": float(wanted.count)},
            )
    yield from _check_hanging(inputs, plan)
    for i, strap in enumerate(plan.straps):
        if strap.laid is not None and strap.laid.guessed:
            yield finding("strap.guessed", "trims", "advice", at=f"trims.straps.{i}.over_mm", where=strap.name)
    if plan.load is not None and plan.load.word != "holds":
        yield finding(
            "hold.slips" if plan.load.word == "slips" else "hold.barely",
            "trims",
            "caution" if plan.load.word == "slips" else "advice",
            numbers={
                "weight_n": plan.load.weight_n,
                "holds_n": plan.load.holds_n,
                "kilos": plan.load.grams / 1000,
            },
        )


def _short(at: str, one: Shown, lacks: float, *, counted: bool) -> Finding:
    field = "at_hand" if counted else "at_hand_mm"
    return finding(
        "trim.short",
        "trims",
        "caution",
        at=f"{at}.{field}",
        where=one.name,
        numbers={"short": lacks},
        said="trim.short.pieces" if counted else "trim.short.length",
    )


def _check_hanging(inputs: TrimsInputs, plan: TrimsPlan) -> Iterator[Finding]:
    for i, one in enumerate(plan.hanging):
        if one.fault is not None:
            continue
        for k, tier in enumerate(one.tiers):
            if tier.skimpy:
                yield finding(
                    "trim.skimpy",
                    "trims",
                    "advice",
                    at=f"trims.hanging.{i}.tiers.{k}.fullness",
                    where=one.name,
                    numbers={"fullness": tier.fullness},
                )
        trim = inputs.trims.hanging[i]
        if trim.own_band or trim.line.on not in ("hem", "waist") or trim.line.half != "both" or _is_part(trim.line):
            continue
        bodice = _where_it_opens(inputs)
        if trim.opens is None or not bodice or trim.opens in bodice:
            continue
        yield finding(
            "skirt.opens",
            "trims",
            "caution",
            at=f"trims.hanging.{i}.opens",
            where=one.name,
            said="skirt.opens.nowhere" if trim.opens == "nowhere" else "skirt.opens",
            opens=trim.opens,
            bodice=" and ".join(bodice),
        )


def _is_part(line: TrimLine) -> bool:
    return bool(line.begins_mm) or line.ends_mm is not None


def _where_it_opens(inputs: TrimsInputs) -> list[str]:
    """Where the bodice opens to be got into: CF, side, or CB, where it is laced too if nothing else opens."""
    found = []
    opening = inputs.opening
    if opening is not None and opening.kind != "none":
        found.append(opening.line if opening.line in ("CF", "CB") else "side")
    if inputs.laced and "CB" not in found:
        found.append("CB")
    return found
