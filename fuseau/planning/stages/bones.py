"""The bones' stage: channels, what lies in them, what is odd about them, and what the bones come to."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Self

from fuseau.craft.base.findings import Change, Finding, finding, mend
from fuseau.craft.base.practice import Practice
from fuseau.craft.boning.bones import (
    Bone,
    EdgeLayout,
    between_now,
    cable_ties,
    channel_width,
    edge_bones,
    edge_layout,
    lay_bones,
)
from fuseau.craft.boning.channels import Around, panel_arrays
from fuseau.craft.boning.checks import check_bones, check_lost
from fuseau.craft.boning.choices import Between, BoneChoices, CutBone, EndsClosed, OneHalf
from fuseau.craft.boning.reuse import BoneReuse, reuse_cut_bones
from fuseau.craft.boning.spacing import Stretch, check_clashes, check_spacing, unboned
from fuseau.craft.boning.totals import Boning, boning
from fuseau.craft.closures.front import Opening
from fuseau.craft.closures.sections import Section, channel_section, edge_section, seam_section, section_key
from fuseau.craft.fit.fit import Fit
from fuseau.craft.materials.catalogue import GROMMETS, BoneKind, BoneName, GrommetName
from fuseau.craft.materials.stack import Stack
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.trueing import Laid
from fuseau.craft.plies.methods import METHODS, SeamMade
from fuseau.craft.plies.reckoning import Lying, lying
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build

STIFF: BoneName = "flat_12"  # what holds a lacing edge straight


def around_channels(build: Build, pattern: Pattern, opening: Opening, half: OneHalf = "right") -> Around:
    """What channels of one half lie among."""
    kind, practice = GARMENT_KINDS[build.kind], build.practice
    here = bool(opening.seam) and opening.line != "CB" and opening.half in (half, "both")
    return Around(
        stack=build.stack,
        flange_mm=GROMMETS[build.back.holes].flange_mm,
        front_mm=opening.reach_mm if opening.line == "CF" else 0.0,
        front_laced=opening.kind == "lacing",
        open_seam=opening.seam if here else 0,
        seam_mm=opening.reach_mm if here else 0.0,
        laced=build.back.laced,
        back_mm=opening.reach_mm if opening.line == "CB" else 0.0,
        front_panels=pattern.front_panels,
        gussets=pattern.gussets,
        joined=pattern.joined,
        light=not kind.reduces,
        practice=practice,
        kinds=build.bone_kinds,
    )


@dataclass(frozen=True)
class BonesInputs:
    """What channels and bones follow from; of the choices only those that lay bones."""

    laid: Laid
    choices: BoneChoices
    around: Around

    @classmethod
    def of(cls, build: Build, laid: Laid, around: Around) -> Self:
        """Taken from the build: what is cut, and how ends are closed, lays nothing."""
        choices = build.bones.model_copy(update={"cut": (), "cut_version": None, "ends": "tips"})
        return cls(laid, choices, around)


@dataclass(frozen=True)
class BonesLaid:
    """Channels and bones of a half, stretches without one, the layout of the lacing edge (if any), and what is odd."""

    bones: tuple[Bone, ...]
    between: tuple[Between, ...]
    unboned: tuple[Stretch, ...]
    edge_layout: EdgeLayout | None
    findings: tuple[Finding, ...]


def lay_all_bones(inputs: BonesInputs) -> BonesLaid:
    """Every channel of a half and the bone in it."""
    laid, choices, around = inputs.laid, inputs.choices, inputs.around
    panels = panel_arrays(laid)
    bones = lay_bones(panels, choices, around)
    layout = edge_layout(choices, around) if around.laced or around.front_laced else None
    needs = layout.needs_mm if layout and around.laced else around.back_mm
    return BonesLaid(
        bones=bones,
        between=between_now(panels, choices, around),
        unboned=unboned(panels, bones, around),
        edge_layout=layout,
        findings=(
            *check_bones(bones, laid.panels[-1], choices, around),
            *check_spacing(panels, bones, choices, around),
            *check_clashes(panels, bones, choices, around, needs),
            *check_lost(len(panels), choices),
        ),
    )


@dataclass(frozen=True)
class ReuseInputs:
    """What becomes of cut bones follows from."""

    bones: tuple[Bone, ...]
    left: tuple[Bone, ...] | None
    cut: tuple[CutBone, ...]
    practice: Practice


def reuse(inputs: ReuseInputs) -> BoneReuse | None:
    """How the cut bones serve the channels as they are now; None while none are cut."""
    return reuse_cut_bones(inputs.bones, inputs.cut, inputs.practice, inputs.left)


@dataclass(frozen=True)
class TotalsInputs:
    """What the bones come to follows from."""

    bones: tuple[Bone, ...]
    left: tuple[Bone, ...] | None
    laid: Laid
    front_panels: int
    ends: EndsClosed
    kinds: Mapping[BoneName, BoneKind]
    worn: Fit
    practice: Practice

    @classmethod
    def of(
        cls,
        build: Build,
        bones: tuple[Bone, ...],
        laid: Laid,
        pattern: Pattern,
        worn: Fit,
        left: tuple[Bone, ...] | None = None,
    ) -> Self:
        """Taken from a build and what lies in its channels; `left` where the left half has others."""
        return cls(
            bones=bones,
            left=left,
            laid=laid,
            front_panels=pattern.front_panels,
            ends=build.bones.ends,
            kinds=build.bone_kinds,
            worn=worn,
            practice=build.practice,
        )


def total(inputs: TotalsInputs) -> Boning:
    """Stiffness, weight, price and time of the bones of both halves."""
    return boning(
        bones=inputs.bones,
        laid=inputs.laid,
        front_panels=inputs.front_panels,
        ends=inputs.ends,
        kinds=inputs.kinds,
        worn=inputs.worn,
        practice=inputs.practice,
        left=inputs.left,
    )


@dataclass(frozen=True)
class SectionsInputs:
    """What the sections follow from."""

    bones: tuple[Bone, ...]
    choices: BoneChoices
    kinds: Mapping[BoneName, BoneKind]
    stack: Stack
    plies: tuple[Lying, ...]
    at_edge: tuple[Lying, ...]
    seam: SeamMade
    allowance_mm: float
    practice: Practice
    holes: GrommetName
    edge_layout: EdgeLayout | None

    @classmethod
    def of(cls, build: Build, bones: tuple[Bone, ...], layout: EdgeLayout | None, panels: int) -> Self:
        """Taken from the build and what lies in its channels; the last of its `panels` has the lacing edge."""
        return cls(
            bones=bones,
            choices=build.bones.of_the_edge(),
            kinds=build.bone_kinds,
            stack=build.stack,
            plies=lying(build.layers, build.cloths),
            at_edge=lying(build.layers, build.cloths, panel=panels),
            seam=METHODS[build.layers.method].seam,
            allowance_mm=build.draft.allowances.seams_mm,
            practice=build.practice,
            holes=build.back.holes,
            edge_layout=layout,
        )


def draw_sections(inputs: SectionsInputs) -> dict[str, Section]:
    """Sections to scale: a seam, the lacing edge, and each sort of channel once."""
    stack, practice = inputs.stack, inputs.practice
    found = {"seam": seam_section(inputs.plies, inputs.seam, inputs.allowance_mm)}
    if inputs.edge_layout:
        outer, inner, counts = edge_bones(inputs.choices, inputs.kinds)
        wrapping = stack.total_mm - stack.lining_mm
        widths = channel_width(outer, wrapping, practice), channel_width(inner, wrapping, practice)
        hole = GROMMETS[inputs.holes]
        found["edge"] = edge_section(inputs.at_edge, (outer, inner), counts, widths, inputs.edge_layout, hole)
    for bone in inputs.bones:
        key = section_key(bone)
        if key not in found:
            found[key] = channel_section(bone, inputs.kinds[bone.kind], inputs.plies, practice)
    return found


def mock_up_bones(build: Build, bones: tuple[Bone, ...], around: Around) -> dict[str, float]:
    """How long a mock-up's bone is cut for each channel, mm."""
    return cable_ties(bones, around, build.mock_up.edge_bone)


def check_edges(build: Build, final: Fit, stiffened: Fit) -> list[Finding]:
    """Whether soft lacing edges let the gap bow, and what flat steel makes of it (`stiffened`)."""
    bow, mended = final.shape.bow_mm, stiffened.shape.bow_mm
    if abs(mended) > abs(bow) - 1:
        return []
    kinds = build.bone_kinds
    changes = (
        Change(at="bones.lacing_edge", value=STIFF),
        *(Change(at=f"bones.by_channel.{label}", value=None) for label in ("CB outer", "CB inner")),
    )
    return [
        finding(
            "soft_edges",
            "bones",
            "caution",
            at="bones.lacing_edge",
            where="CB",
            numbers={"bow_mm": bow, "mended_bow_mm": mended},
            mend=mend("mend.stiff_edges", *changes, what=kinds[STIFF].label),
            bone=kinds[build.bones.lacing_edge].label,
            stiff=kinds[STIFF].label,
            bow=abs(bow),
            mended=abs(mended),
        )
    ]


def with_stiff_edges(build: Build) -> Build:
    """The build with flat steel in both channels of the lacing edge."""
    alone = {label: kind for label, kind in build.bones.by_channel.items() if not label.startswith("CB ")}
    return build.model_copy(
        update={"bones": build.bones.model_copy(update={"lacing_edge": STIFF, "by_channel": alone})}
    )


def of_the_left(left: BonesLaid, right: BonesLaid) -> tuple[Finding, ...]:
    """What is odd about the left half alone; what is so on both sides is told once."""
    both = {(one.code, one.where) for one in right.findings}
    return tuple(
        one.model_copy(update={"where": f"{one.where}, left half" if one.where else "Left half"})
        for one in left.findings
        if (one.code, one.where) not in both
    )
