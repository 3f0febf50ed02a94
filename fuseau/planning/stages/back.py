"""The back's stage: holes, lace, the lacing walked, what lies behind, and the tape at the waist."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal, Self

import numpy as np

from fuseau.craft.base.findings import Change, Finding, finding, mend
from fuseau.craft.base.practice import Practice
from fuseau.craft.boning.bones import Bone, EdgeLayout
from fuseau.craft.closures.back import (
    BackChoices,
    Lace,
    ModestyPanel,
    Row,
    WaistTape,
    carried,
    check_holes,
    check_lace,
    check_modesty,
    cut_lace,
    grommet_count,
    modesty_panel,
    usual_pitch,
    waist_tape,
)
from fuseau.craft.closures.edge_places import along_fold, beside_edge
from fuseau.craft.closures.front import Opening, sewn_shut
from fuseau.craft.closures.lacing import LacePattern, LaceStep, walk
from fuseau.craft.closures.rows import rows
from fuseau.craft.fit.fit import Fit
from fuseau.craft.fit.target import Aim
from fuseau.craft.materials.catalogue import GROMMETS, LACES, BoneKind
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.trueing import Laid, Point
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from fuseau.planning.garment.halves import Halves, where_they_meet
from fuseau.planning.plan import Holes, PlacedHoles
from fuseau.planning.stages.front import lacing_of

Edge = tuple[Point, ...]  # from hem to top line, in the frame of its panel


@dataclass(frozen=True)
class HolesInputs:
    """What the holes follow from: CB and CF of both halves, right and left, and how wide the last panel is, mm.

    A back that is not `laced` has none; then there are only those in front, if that is.
    """

    choices: BackChoices
    lacing: LacePattern
    front_laced: bool
    pull_n_per_m: float
    cb: tuple[Edge, Edge]
    cf: tuple[Edge, Edge]
    narrowest_mm: float
    edge_layout: EdgeLayout | None
    practice: Practice

    @classmethod
    def of(cls, build: Build, halves: Halves, final: Fit, edge_layout: EdgeLayout | None) -> Self:
        """Taken from the build and its pattern."""
        backs = [laid.panels[-1] for laid in halves.both]
        tied = GARMENT_KINDS[build.kind].tied
        return cls(
            choices=build.back,
            lacing=lacing_of(build),
            front_laced=build.front.opening == "lacing",
            pull_n_per_m=build.practice.neck_pull_n_per_m if tied else final.pull_n_per_m,
            cb=(backs[0].cb_edge, backs[1].cb_edge),
            cf=(halves.right.panels[0].cf_edge, halves.both[1].panels[0].cf_edge),
            narrowest_mm=min(panel.narrowest_mm for panel in backs),
            edge_layout=edge_layout,
            practice=build.practice,
        )


def set_holes(inputs: HolesInputs) -> Holes | None:
    """Rows, counts and where their line lies; None where nothing is laced. Raises Unmakeable for too short an edge."""
    choices, practice, pull = inputs.choices, inputs.practice, inputs.pull_n_per_m
    layout = inputs.edge_layout
    if layout is None or not (choices.laced or inputs.front_laced):
        return None
    hole, lace = GROMMETS[choices.holes], LACES[choices.lace]
    usual = usual_pitch(pull, practice)
    loops = inputs.lacing == "cross with pull loops"
    least = hole.flange_mm + practice.hole_clear_mm
    heights: tuple[float, ...] = ()
    front: tuple[float, ...] = ()
    borne: tuple[Row, ...] = ()
    if choices.laced:
        hem, top = where_they_meet(inputs.cb)
        heights = rows(top, hem, usual, practice, choices.row_wishes, pull_loops=loops, least_pitch_mm=least)
        borne = carried(heights, top, hem, pull)
    if inputs.front_laced:
        hem, top = where_they_meet(inputs.cf)
        front = rows(top, hem, choices.pitch_mm or usual, practice, pull_loops=False)
        borne = borne or carried(front, top, hem, pull)
    count, spares = grommet_count((*heights, *front), hole.bought)
    right, left = (
        _placed(cb, cf, heights, front, layout.holes_mm) for cb, cf in zip(inputs.cb, inputs.cf, strict=True)
    )
    return Holes(
        z_mm=heights,
        inset_mm=layout.holes_mm,
        right=right,
        left=left,
        count=count,
        spares=spares,
        label=hole.label,
        die=hole.die,
        hole_mm=hole.hole_mm,
        flange_mm=hole.flange_mm,
        usual_pitch_mm=usual,
        minutes=count * hole.minutes,
        holds_n=hole.holds_n,
        rows=borne,
        edge_layout=layout,
        edge_carries=inputs.narrowest_mm >= layout.needs_mm,
        front_z_mm=front,
        lace_label=lace.label,
        lace_width_mm=lace.width_mm,
        lace_mind=lace.mind,
    )


def _placed(cb: Edge, cf: Edge, behind: Sequence[float], in_front: Sequence[float], inset_mm: float) -> PlacedHoles:
    at_cb = beside_edge(cb, behind, inset_mm, at_cf=False)
    at_cf = beside_edge(cf, in_front, inset_mm, at_cf=True)
    return PlacedHoles(
        behind=at_cb,
        behind_along_mm=along_fold(cb, at_cb),
        in_front=at_cf,
        in_front_along_mm=along_fold(cf, at_cf),
    )


@dataclass(frozen=True)
class BackInputs:
    """What lace, panel and tape follow from: the holes, the gap as worn and to get in, and the waist, mm.

    `tape` is where the waist tape runs; None where there is none.
    """

    choices: BackChoices
    lacing: LacePattern
    holes: Holes | None
    worn_gap_mm: float
    widest_gap_mm: float
    getting_in_gap_mm: float
    front_opens_mm: float
    ends: tuple[float, float]
    closed_waist_mm: float
    back_mm: float
    reduction_mm: float
    tied: bool
    tape: WaistTape | None
    modesty_kind: BoneKind
    practice: Practice

    @classmethod
    def of(
        cls,
        build: Build,
        holes: Holes | None,
        final: Fit,
        aimed: Aim,
        opening: Opening,
        pattern: Pattern,
        halves: Halves,
        bones: tuple[tuple[Bone, ...], tuple[Bone, ...]],
        getting_in_gap_mm: float,
    ) -> Self:
        """Taken from the build, its pattern laid flat, and the `bones` of its right and left half."""
        practice, wished = build.practice, build.back.waist_tape
        tied = GARMENT_KINDS[build.kind].tied
        taped = not tied and (wished if wished is not None else aimed.reduction_mm > 2)
        return cls(
            choices=build.back,
            lacing=lacing_of(build),
            holes=holes,
            worn_gap_mm=final.shape.mean_mm,
            widest_gap_mm=max(final.gap_mm),
            getting_in_gap_mm=getting_in_gap_mm,
            front_opens_mm=max(0.0 if build.back.laced else getting_in_gap_mm, practice.front_opens_mm),
            ends=(pattern.hem.cb_mm, pattern.top.cb_mm),
            closed_waist_mm=next(
                (level.closed_mm for level in final.levels if level.name == "waist" and level.closed_mm is not None),
                aimed.closed_waist_mm,
            ),
            back_mm=_back_width(pattern) + final.shape.mean_mm,
            reduction_mm=aimed.reduction_mm,
            tied=tied,
            tape=_tape(build, holes, opening, halves, bones) if taped else None,
            modesty_kind=build.bone_kinds[build.back.modesty_bone or build.bones.between_seams or build.bones.seams],
            practice=practice,
        )


def _tape(
    build: Build,
    holes: Holes | None,
    opening: Opening,
    halves: Halves,
    bones: tuple[tuple[Bone, ...], tuple[Bone, ...]],
) -> WaistTape:
    """Where the waist tape runs: from the bone beside what opens in front, however that was set, to what is behind."""
    shut = sewn_shut(opening, laced=build.back.laced)
    sides = tuple(zip(halves.both, bones, strict=True))
    least = opening.reach_mm + build.practice.edge_stitch_mm
    front = tuple(0.0 if shut.at_cf else _clear_of(laid, there, "CF", least) for laid, there in sides)
    behind = tuple(0.0 if shut.at_cb else _clear_of(laid, there, "CB", least) for laid, there in sides)
    if build.back.laced and holes is not None:
        behind = (holes.edge_layout.outer_mm,) * 2
    widths = tuple(sum(panel.waist[1][0] - panel.waist[0][0] for panel in laid.panels) for laid in halves.both)
    return waist_tape(
        (widths[0], widths[1]),
        (front[0], front[1]),
        (behind[0], behind[1]),
        build.practice,
        shut=shut,
    )


def _clear_of(laid: Laid, bones: Sequence[Bone], line: Literal["CF", "CB"], least_mm: float) -> float:
    """How far from CF or CB all lies that stands beside it, at the waist: the far side of its bone, or what opens."""
    panel = laid.panels[0 if line == "CF" else -1]
    fold = panel.waist[0][0] if line == "CF" else panel.waist[1][0]
    reach = least_mm
    for bone in bones:
        if bone.channel == line and bone.length_mm > 0:
            path = sorted(bone.path, key=lambda place: place[1])
            at = float(np.interp(0.0, [z for _, z in path], [x for x, _ in path]))
            reach = max(reach, abs(at - fold) + bone.channel_width_mm * bone.count / 2)
    return reach


def _back_width(pattern: Pattern) -> float:
    """The back from side seam to side seam where it is narrowest, closed, mm."""
    shape = pattern.shape
    return float(min(shape.sewn_girth(shape.nominal) - 2 * shape.front_half(shape.nominal)))


@dataclass(frozen=True)
class BackLaced:
    """Lace and lacing behind and in front, what lies behind the gap, the tape, and what is odd.

    Of a back that is not laced only the tape, and the lace of a front that is.
    """

    lace: Lace | None
    walk: tuple[LaceStep, ...]
    front_walk: tuple[LaceStep, ...]
    front_lace: Lace | None
    modesty: ModestyPanel | None
    tape: WaistTape | None
    findings: tuple[Finding, ...]


def lace_back(inputs: BackInputs) -> BackLaced:
    """How much lace, hole by hole; the modesty panel; the waist tape."""
    choices, holes, practice = inputs.choices, inputs.holes, inputs.practice
    tape = inputs.tape
    findings: list[Finding] = [] if tape or inputs.tied or inputs.reduction_mm <= 2 else [_no_tape()]
    if holes is None:
        return BackLaced(
            lace=None, walk=(), front_walk=(), front_lace=None, modesty=None, tape=tape, findings=tuple(findings)
        )
    hem, top = inputs.ends
    lace, modesty = None, None
    if choices.laced:
        lace = cut_lace(
            holes.z_mm, inputs.worn_gap_mm, inputs.getting_in_gap_mm, holes.inset_mm, practice, pattern=inputs.lacing
        )
        modesty = modesty_panel(
            choices=choices,
            widest_gap_mm=inputs.widest_gap_mm,
            top_mm=top,
            hem_mm=hem,
            closed_waist_mm=inputs.closed_waist_mm,
            back_mm=inputs.back_mm,
            kind=inputs.modesty_kind,
            practice=practice,
        )
    front = holes.front_z_mm
    hardest = max(row.carries_n for row in holes.rows)
    hole = GROMMETS[choices.holes]
    return BackLaced(
        lace=lace,
        walk=walk(holes.z_mm, inputs.worn_gap_mm, holes.inset_mm, inputs.lacing, practice.lace_loop_mm)
        if choices.laced
        else (),
        front_walk=walk(front, 0.0, holes.inset_mm, "cross") if front else (),
        front_lace=cut_lace(front, 0.0, inputs.front_opens_mm, holes.inset_mm, practice, pattern="cross")
        if front
        else None,
        modesty=modesty,
        tape=tape,
        findings=(
            *check_holes(holes.rows, hole),
            *check_lace(LACES[choices.lace], hole, hardest, practice),
            *check_modesty(modesty, practice),
            *findings,
        ),
    )


def _no_tape() -> Finding:
    tape = mend("mend.waist_tape", Change(at="back.waist_tape", value=True))
    return finding("no_waist_tape", "back", "caution", at="back.waist_tape", where="Waist", mend=tape)
