"""The stage of trims: what lies on the garment and hangs from it, what it takes, and whether it is held (model, 15)."""

import math
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from typing import Literal, Self, TypeVar

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Finding, Message, message
from fuseau.craft.boning.bones import Bone
from fuseau.craft.closures.front import Opening, sewn_shut
from fuseau.craft.fit.fit import Fit
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.materials.minutes import MINUTES, Work
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.trueing import LaidPanel, Point
from fuseau.craft.trims.along import AlongLaid, Meets, lay_along
from fuseau.craft.trims.areas import AreaLaid, lay_area
from fuseau.craft.trims.chains import chain_length, chain_sag
from fuseau.craft.trims.choices import TrimChoices, TrimLine
from fuseau.craft.trims.flossing import lay_flossing
from fuseau.craft.trims.hold import Load, load
from fuseau.craft.trims.lines import OnPanel, RunLine, run_line
from fuseau.craft.trims.straps import lay_strap
from fuseau.document.build import Build
from fuseau.planning.garment.halves import Halves
from fuseau.planning.plan import Holes
from fuseau.planning.trims.checks import TrimsAbout, check_trims
from fuseau.planning.trims.hanging import circle_of, tiers_of
from fuseau.planning.trims.rooms import PanelHardware, Room, rooms_of
from fuseau.planning.trims.shown import (
    AlongShown,
    AreaShown,
    ChainShown,
    FlossingShown,
    HangingShown,
    Helps,
    Shown,
    StrapShown,
    TrimsPlan,
)

TrimGroup = Literal["along", "areas", "flossing", "hanging", "straps", "chains"]


@dataclass(frozen=True)
class TrimsInputs:
    """What the trims follow from."""

    trims: TrimChoices
    halves: Halves
    front_panels: int
    bones: tuple[Bone, ...]
    lefts: tuple[Bone, ...] | None
    holes: Holes | None
    opening: Opening | None
    laced: bool
    cut_with: tuple[tuple[ClothName, tuple[str, ...]], ...]
    own_grams: float
    friction_n: float
    shape_n: float
    friction: float
    stay_pull_n: float
    cloths: Mapping[ClothName, Cloth]

    @classmethod
    def of(
        cls,
        build: Build,
        halves: Halves,
        front_panels: int,
        bones: tuple[Bone, ...],
        lefts: tuple[Bone, ...] | None,
        holes: Holes | None,
        opening: Opening | None,
        worn: Fit,
        own_grams: float,
    ) -> Self:
        """Taken from the build and what the stages before came to; `own_grams` is what it weighs without trims."""
        return cls(
            trims=build.trims,
            halves=halves,
            front_panels=front_panels,
            bones=bones,
            lefts=lefts,
            holes=holes,
            opening=opening,
            laced=build.back.laced,
            cut_with=tuple((cloth, done.frills) for cloth, done in build.cut.done.items()),
            own_grams=own_grams,
            friction_n=worn.holds_up_n,
            shape_n=worn.shape_holds_n,
            friction=build.practice.friction,
            stay_pull_n=build.practice.stay_pull_n,
            cloths=build.cloths,
        )

    def panels(self, left: bool = False) -> Sequence[LaidPanel]:
        """The panels of a half."""
        return self.halves.both[1 if left else 0].panels

    def bones_of(self, left: bool = False) -> tuple[Bone, ...]:
        """The bones of a half."""
        return self.bones if not left or self.lefts is None else self.lefts

    @property
    def differ(self) -> bool:
        """Whether the halves are cut or boned otherwise."""
        return self.halves.left is not None or self.lefts is not None

    @property
    def meets(self) -> Meets:
        """Where a line round the garment goes on: over CF and CB where nothing opens."""
        return Meets(*sewn_shut(self.opening, laced=self.laced))


@dataclass(frozen=True)
class TrimsLaid:
    """The trims' plan, and what is said of it."""

    plan: TrimsPlan | None
    findings: tuple[Finding, ...]


_S = TypeVar("_S", bound=Shown)


def lay_trims(inputs: TrimsInputs) -> TrimsLaid:
    """Every trim as it lies and what it takes. One that can't be as it is says so at its field, and stops no other."""
    trims = inputs.trims
    halves = [
        PanelHardware(inputs.panels(left), inputs.bones_of(left), inputs.holes, inputs.opening, left)
        for left in ((False, True) if inputs.differ else (False,))
    ]
    rooms, *other = [rooms_of(half) for half in halves] if trims.areas else [()]
    along = tuple(_along(inputs, i) for i in range(len(trims.along)))
    areas = tuple(_area(inputs, i, rooms, other[0] if other else ()) for i in range(len(trims.areas)))
    floss = tuple(_flossing(inputs, i) for i in range(len(trims.flossing)))
    hanging = tuple(_hanging(inputs, i) for i in range(len(trims.hanging)))
    straps = tuple(_strap(inputs, i) for i in range(len(trims.straps)))
    chains = tuple(_chain(inputs, i) for i in range(len(trims.chains)))
    works: dict[Work, float] = {}
    for found in _all_works(along, areas, floss, hanging, straps, chains):
        for work, times in found:
            works[work] = works.get(work, 0.0) + times
    on_it = sum(laid.grams for laid in _lies_on(along, areas)) + sum(chain.grams for chain in chains)
    loaded, helps = _load(inputs, on_it, hanging, straps)
    plan = TrimsPlan(
        along=along,
        areas=areas,
        flossing=floss,
        hanging=hanging,
        straps=straps,
        chains=chains,
        rooms=tuple(room for room, _ in rooms),
        grams=on_it,
        hanging_grams=sum(frill.grams for frill in hanging),
        price=sum(laid.price for laid in _lies_on(along, areas))
        + sum(frill.price for frill in hanging)
        + sum(chain.price for chain in chains),
        minutes=sum(MINUTES[work] * times for work, times in works.items()),
        thread_mm=sum(laid.thread_mm for laid in _lies_on(along, areas))
        + sum(one.laid.thread_mm for one in floss if one.laid),
        works=works,
        load=loaded,
        helps=helps,
    )
    about = TrimsAbout(trims, inputs.opening, inputs.laced, inputs.cut_with)
    return TrimsLaid(plan, tuple(check_trims(about, plan)))


def _lies_on(along: Sequence[AlongShown], areas: Sequence[AreaShown]) -> Iterator[AlongLaid | AreaLaid]:
    yield from (one.laid for one in along if one.laid)
    yield from (area.laid for area in areas if area.laid)


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
    yield from (frill.works for frill in hanging)
    yield from (chain.works for chain in chains)
    yield from ((("strap", float(strap.laid.count)),) for strap in straps if strap.laid)


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


@dataclass(frozen=True)
class _OnHalves:
    """A line on the half that it is meant for, what of it lies on the right and on the left half, and how long it is
    on each of those, mm. A line that is one for both halves, as CF where that is sewn, is there once.
    """

    run: RunLine
    right: tuple[OnPanel, ...]
    left: tuple[OnPanel, ...]
    lengths_mm: tuple[float, ...]


def _parts(inputs: TrimsInputs, line: TrimLine, at: str) -> _OnHalves:
    right = line_of(inputs, line, at) if line.half != "left" else None
    alike = right is not None and inputs.halves.left is None and (line.on != "channel" or inputs.lefts is None)
    left = None
    if line.half != "right":
        left = right if alike else line_of(inputs, line, at, left=True)
    run = right or left
    assert run is not None
    lengths = tuple(there.length_mm for there in (right, left) if there is not None)
    last = len(inputs.panels())
    shared = line.on == "seam" and (
        (line.seam == 0 and inputs.meets.at_cf) or (line.seam == last and inputs.meets.at_cb)
    )
    return _OnHalves(
        run, right.parts if right else (), left.parts if left else (), (max(lengths),) if shared else lengths
    )


def _along(inputs: TrimsInputs, i: int) -> AlongShown:
    trim, at = inputs.trims.along[i], f"trims.along.{i}"

    def lay() -> AlongShown:
        there = _parts(inputs, trim.line, at)
        round_ = trim.line.on in ("top line", "hem", "waist")
        laid = lay_along(
            trim,
            there.run,
            lengths_mm=there.lengths_mm,
            meets=inputs.meets if round_ else Meets(),
            side=seam_label(inputs.front_panels),
        )
        return AlongShown(
            key=trim.key,
            name=trim.name,
            parts=there.right,
            left_parts=there.left,
            laid=laid,
            spots=tuple(there.run.at(place) for place in laid.at_mm),
            minutes=_minutes(laid.works),
        )

    return _guarded(lay, lambda said, field: AlongShown(key=trim.key, name=trim.name, fault=said, fault_at=field))


def _minutes(works: Sequence[tuple[Work, float]]) -> float:
    return sum(MINUTES[work] * times for work, times in works)


def _area(inputs: TrimsInputs, i: int, rooms: Sequence[Room], others: Sequence[Room]) -> AreaShown:
    trim, at = inputs.trims.areas[i], f"trims.areas.{i}"

    def lay() -> AreaShown:
        left = trim.half == "left" and bool(others)
        laid = lay_area(trim, inputs.panels(left), others if left else rooms, at, others)
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
        there = _parts(inputs, trim.line, at)
        along = sum(there.lengths_mm)
        cloth = inputs.cloths[trim.cloth]
        base = HangingShown(
            key=trim.key,
            name=trim.name,
            parts=there.right,
            left_parts=there.left,
            along_mm=along,
            cloth=cloth.name,
            cloth_label=cloth.label,
            own_band=trim.own_band,
            opens=trim.opens or "",
        )
        made = (circle_of if trim.cut == "circle" else tiers_of)(trim, base, cloth, at)
        return made.model_copy(update={"minutes": _minutes(made.works), "grams": made.grams + trim.more_grams})

    return _guarded(lay, lambda said, field: HangingShown(key=trim.key, name=trim.name, fault=said, fault_at=field))


def _strap(inputs: TrimsInputs, i: int) -> StrapShown:
    trim, at = inputs.trims.straps[i], f"trims.straps.{i}"

    def lay() -> StrapShown:
        run = line_of(inputs, TrimLine(on="top line"), at)
        side = sum(length_of(panel.top) for panel in inputs.panels()[: inputs.front_panels])
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


def _stay_n(inputs: TrimsInputs) -> float:
    """What a waist stay holds, N: friction of a tape that bears on her by 2π times its pull."""
    return inputs.friction * 2 * math.pi * inputs.stay_pull_n


def _load(
    inputs: TrimsInputs, on_it: float, hanging: Sequence[HangingShown], straps: Sequence[StrapShown]
) -> tuple[Load | None, tuple[Helps, ...]]:
    """The weight on the garment against what holds it, and what would help where that is too little.

    Not told where nothing hangs from it: a garment that only carries itself is held by its fit.
    """
    if not any(frill.grams for frill in hanging):
        return None, ()
    hangs = sum(frill.grams for frill in hanging if not frill.own_band)
    whole, shape = inputs.own_grams + on_it + hangs, inputs.shape_n
    over = any(strap.laid is not None for strap in straps)
    friction = inputs.friction_n + (_stay_n(inputs) if inputs.trims.waist_stay else 0.0)
    here = load(whole, friction, shape, strapped=over)
    if here.word == "holds":
        return here, ()
    helps = []
    if hangs:
        helps.append(Helps(what=message("hold.own_band"), after=load(whole - hangs, friction, shape), does="band"))
    strapped = load(whole, friction, shape, strapped=True)
    helps.append(Helps(what=message("hold.straps", each_n=here.lacks_n / 2), after=strapped, does="straps"))
    if not inputs.trims.waist_stay:
        stayed = load(whole, inputs.friction_n + _stay_n(inputs), shape, strapped=over)
        helps.append(Helps(what=message("hold.stay", pull_n=inputs.stay_pull_n), after=stayed, does="stay"))
    return here, tuple(helps)
