"""The garment on her body: what is seen of it there, of this version or another (model, section 17)."""

from collections.abc import Iterator, Sequence
from contextlib import suppress
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from pydantic import Field

from fuseau.craft.base.curves import Array, area_of
from fuseau.craft.base.errors import Unmakeable, Unsettled
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone
from fuseau.craft.fit.fit import Fit, Lacing, fit
from fuseau.craft.pattern.cups import usual_bust_points
from fuseau.craft.pattern.pattern import Pattern, seam_label
from fuseau.craft.pattern.places import places_of
from fuseau.craft.pattern.trueing import LaidPanel, lay_flat
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.measures import LevelName
from fuseau.craft.worn.figure import Figure
from fuseau.craft.worn.hangs import DEEPEST_SHOWN_MM, cup_on
from fuseau.craft.worn.pose import Pose
from fuseau.craft.worn.surface import (
    HalfWorn,
    Patch,
    RingSeen,
    Rows,
    SpatialLine,
    behind,
    lace_lines,
    mirrored_line,
    mirrored_patch,
    ring_line,
    skin,
    spatial,
)
from fuseau.document.build import Build
from fuseau.planning.garment.lacings import final_lacing
from fuseau.planning.pictures.pose import pose_on
from fuseau.planning.plan import Plan
from fuseau.planning.worn.trims import SpatialSpots, depth_of, hanging_patches, trim_lines, trim_spots

_UNDER_ARM_MM = 20.0  # below the high bust at the side: higher than that an edge is lifted by a raised arm


class WornLevel(RingSeen):
    """A level as it is worn: with its girth over everything, and the gap behind, where there is one."""

    worn_mm: float
    gap_mm: float | None = None
    kpa: float | None = None


class OnBody(Record):
    """The garment on her: surfaces, lines and points, by level, and where an edge would be in her way.

    `said`: why something is not shown. `area_off`: by what share the area of the panel that differs most is off its
    flat one, stretched as it is worn. `edges_mm`: how high top line and hem lie above the zero line, along her.
    `poses`: how she stands on each picture that tells, by its id.
    """

    version: int | None = None
    patches: tuple[Patch, ...] = ()
    lines: tuple[SpatialLine, ...] = ()
    spots: tuple[SpatialSpots, ...] = ()
    levels: tuple[WornLevel, ...] = ()
    said: tuple[Message, ...] = ()
    area_off: float = 0.0
    poses: dict[str, Pose] = Field(default_factory=dict)
    edges_mm: dict[str, float] = Field(default_factory=dict)


@dataclass(frozen=True)
class Worn:
    """A version of the garment as it settles on her: its pattern, both halves laid flat, and how it fits."""

    pattern: Pattern
    panels: Sequence[LaidPanel]
    left_panels: Sequence[LaidPanel] | None
    fit: Fit
    number: int | None


@dataclass(frozen=True)
class OnBodyInputs:
    """What is seen follows from. Without a garment it is her alone; `planned` tells its hardware and trims, or None."""

    build: Build
    body: Body
    worn: Worn | None
    planned: Plan | None

    @cached_property
    def figure(self) -> Figure:
        """Her in the garment, or alone while there is none."""
        pads, gives = self.build.pads, self.build.practice.pad_gives_share
        pattern, fitted = (self.worn.pattern, self.worn.fit) if self.worn else (None, None)
        return Figure(body=self.body, pads=pads, gives_share=gives, pattern=pattern, fit=fitted)


def inputs_of(build: Build, planned: Plan, which: str = "") -> OnBodyInputs | None:
    """The present version, or the draft; `which`: the number of another, or "proposed". None where she is not measured.

    Raises Unmakeable for a version that there is not, or that can't be laced on her.
    """
    body = planned.body
    if body is None:
        if planned.missing:
            return None
        body = build.body
    worn: Worn | None = None
    here: Plan | None = None
    shown, final = planned.pattern, planned.final
    if which == "proposed":
        proposal = planned.proposal
        if proposal is None:
            raise Unmakeable("version", "on_body.no_version")
        worn = Worn(proposal.pattern, proposal.panels, _lefts(build, proposal.pattern), proposal.final, None)
    elif which and not (build.current and which == str(build.current.number)):
        version = build.version_numbered(int(which)) if which.isascii() and which.isdecimal() else None
        if version is None or planned.aim is None:
            raise Unmakeable("version", "on_body.no_version")
        worn = Worn(
            version.pattern,
            lay_flat(version.pattern, build.practice).panels,
            _lefts(build, version.pattern),
            _settled(final_lacing(build, version.pattern, planned.aim), body),
            version.number,
        )
    elif shown is not None and final is not None:
        pattern = build.current.pattern if build.current else planned.drafted
        assert pattern is not None
        worn = Worn(pattern, shown.panels, shown.left_panels, final, shown.version)
        here = planned
    return OnBodyInputs(build, body, worn, here)


def _settled(lacing: Lacing, body: Body) -> Fit:
    try:
        return fit(lacing, body)
    except Unsettled:
        raise Unmakeable("version", "on_body.unsettled") from None


def _lefts(build: Build, pattern: Pattern) -> tuple[LaidPanel, ...] | None:
    left = pattern.left_pattern
    return lay_flat(left, build.practice).panels if left else None


def on_body(inputs: OnBodyInputs) -> OnBody:
    """The garment on her, both halves; her alone while there is no pattern."""
    build, worn, figure = inputs.build, inputs.worn, inputs.figure
    if worn is None:
        return OnBody(
            patches=(skin(figure),),
            levels=tuple(_levels(figure, None)),
            said=(message("on_body.no_pattern"),),
        )
    right = HalfWorn(figure, worn.pattern)
    left = HalfWorn(figure, worn.pattern.left_pattern or worn.pattern, left=True)
    patches, off = [skin(figure)], 0.0
    lines: list[SpatialLine] = []
    alike = worn.left_panels is None and worn.pattern.left is None
    for half, panels in ((right, worn.panels), (left, () if alike else worn.left_panels or worn.panels)):
        for panel in panels:
            patch, area = half.patch(panel)
            patches.append(patch)
            flat = area_of(panel.outline) * figure.stretch
            off = max(off, abs(area / flat - 1))
            lines += _outlines(half, panel, len(panels))
    if alike:
        patches += [mirrored_patch(patch) for patch in patches[1:]]
        lines += [mirrored_line(line) for line in lines]
    spots: list[SpatialSpots] = []
    planned = inputs.planned
    if planned is not None:
        more_patches, more_lines, more_spots = _hardware(build, planned, figure, right, left)
        patches += more_patches
        lines += [*more_lines, *trim_lines(build, planned, right, left)]
        spots += [*more_spots, *trim_spots(planned, right, left)]
        patches += hanging_patches(build, planned, right, left)
        cups, cup_lines = _cups(build, planned, figure)
        patches += cups
        lines += cup_lines
    lines += _limits(build, figure)
    top, hem = worn.pattern.top, worn.pattern.hem
    return OnBody(
        version=worn.number,
        patches=tuple(patches),
        lines=tuple(lines),
        spots=tuple(spots),
        levels=tuple(_levels(figure, worn.fit)),
        said=tuple(_said(planned)),
        area_off=off,
        poses=dict(_poses(build, figure)),
        edges_mm={
            f"{edge} {place}": getattr(line, field)
            for edge, line in (("top line", top), ("hem", hem))
            for place, field in (("CF", "cf_mm"), ("side", "side_mm"), ("CB", "cb_mm"))
        },
    )


def _said(planned: Plan | None) -> Iterator[Message]:
    """What is not drawn as it is."""
    if planned is None:
        return
    if planned.pattern and planned.pattern.cup:
        yield message("on_body.cups")
    hanging = planned.trims.hanging if planned.trims else ()
    if any(depth_of(frill) > DEEPEST_SHOWN_MM for frill in hanging):
        yield message("on_body.deep", mm=DEEPEST_SHOWN_MM)


def _cups(build: Build, planned: Plan, figure: Figure) -> tuple[list[Patch], list[SpatialLine]]:
    """Cups of both sides, where there are any."""
    cup = planned.pattern.cup if planned.pattern else None
    if cup is None or "bust" not in figure.body:
        return [], []
    apart = build.wearer.bust_points_mm or usual_bust_points(figure.body)
    patch, lines = cup_on(figure, cup, apart, figure.body["bust"].front_mm)
    return [patch, mirrored_patch(patch)], [*lines, *(mirrored_line(line) for line in lines)]


def _poses(build: Build, figure: Figure) -> Iterator[tuple[str, Pose]]:
    for picture in build.brief.pictures:
        with suppress(Unmakeable):
            yield picture.id, pose_on(picture, figure)


def _outlines(half: HalfWorn, panel: LaidPanel, count: int) -> Iterator[SpatialLine]:
    yield half.line("top", panel.number, panel.top)
    yield half.line("hem", panel.number, panel.hem)
    yield half.line("seam" if panel.number > 1 else "CF", panel.number, panel.cf_edge[::2])
    if panel.number == count:
        yield half.line("CB", panel.number, panel.cb_edge[::2])
    for dart in panel.darts:
        yield half.line("dart", panel.number, dart)
    for place in places_of(half.pattern):
        low, high = place.ends(half.pattern)
        part = [point for point in panel.cf_edge if low <= point[1] <= high]
        if place.seam == panel.number - 1 and len(part) > 1:
            yield half.line("place", panel.number, part, seam_label(place.seam), 1.6)


def _hardware(
    build: Build, planned: Plan, figure: Figure, right: HalfWorn, left: HalfWorn
) -> tuple[list[Patch], list[SpatialLine], list[SpatialSpots]]:
    lines: list[SpatialLine] = []
    lefts = planned.left.bones if planned.left else planned.bones
    lines += [_bone(right, bone) for bone in planned.bones if bone.length_mm > 0]
    if planned.left is None and left.pattern is right.pattern:
        lines += [mirrored_line(line) for line in lines]
    else:
        lines += [_bone(left, bone) for bone in lefts if bone.length_mm > 0]
    spots = []
    patches: list[Patch] = []
    holes, lacing_low = planned.holes, figure.at_lacing
    if holes is not None and holes.z_mm:
        rows = [half.edge(placed.behind) for half, placed in ((left, holes.left), (right, holes.right))]
        spots.append(_holes(rows, left, right, holes.flange_mm))
        lines += lace_lines(figure, planned.walk, rows[0], rows[1], behind_her=True)
        if planned.modesty is not None:
            edges = tuple(_edge_runs(figure, half) for half in (right, left))
            middle, high = (holes.z_mm[0] + holes.z_mm[-1]) / 2, planned.modesty.height_mm / 2
            low, top = max(middle - high, float(lacing_low.min())), min(middle + high, float(lacing_low.max()))
            patches.append(behind(figure, planned.modesty.under_each_mm, low, top, (edges[0], edges[1])))
    if holes is not None and holes.front_z_mm:
        placed_in_front = (left, holes.left.in_front), (right, holes.right.in_front)
        rows = [half.edge(places, front=True) for half, places in placed_in_front]
        spots.append(_holes(rows, left, right, holes.flange_mm))
        lines += lace_lines(figure, planned.front_walk, rows[0], rows[1], behind_her=False)
    opening = planned.opening
    if opening is not None and opening.kind != "none" and planned.pattern is not None:
        panel = max(opening.seam, 1)
        panels = planned.pattern.panels
        if panel <= len(panels):
            edge = panels[panel - 1].cf_edge if opening.seam == 0 else panels[panel - 1].cb_edge
            low, high = opening.low_z_mm, opening.high_z_mm
            part = [point for point in edge if low - 1 <= point[1] <= high + 1] if high > low else list(edge)
            if len(part) > 1:
                half = left if opening.half == "left" else right
                lines.append(half.line("opening", panel, part, opening.kind, 1.2))
    return patches, lines, spots


def _bone(half: HalfWorn, bone: Bone) -> SpatialLine:
    return half.line("bone", bone.panel, bone.bone_path, bone.channel, 1.0)


def _edge_runs(figure: Figure, half: HalfWorn) -> Array:
    """Lengths from CF to the edge at CB, over the figure's heights, mm."""
    at = np.clip(figure.heights, min(half.pattern.hem.heights()), max(half.pattern.top.heights()))
    return np.asarray(half.pattern.shape.half_girth(at) * figure.stretch)


def _holes(rows: Sequence[Rows], left: HalfWorn, right: HalfWorn, wide_mm: float) -> SpatialSpots:
    found = [half.at(*row) for half, row in zip((left, right), rows, strict=True)]
    return SpatialSpots(what="hole", wide_mm=wide_mm, points=spatial(np.vstack(found)))


def _limits(build: Build, figure: Figure) -> Iterator[SpatialLine]:
    """Where her lap is when she sits, and how high an edge may come under a raised arm."""
    lap = build.wearer.waist_to_lap_sitting_mm
    if lap is not None and figure.body.zero == "waist":
        points = ring_line(figure, -lap, 0.0, 0.7)
        whole = np.vstack([points[::-1] * np.array([-1.0, 1.0, 1.0]), points])
        yield SpatialLine(what="limit", name="lap", points=spatial(whole))
    if "high_bust" in figure.body:
        points = ring_line(figure, figure.body["high_bust"].side_mm - _UNDER_ARM_MM, 0.8, 1.2, at_front=False)
        yield SpatialLine(what="limit", name="arm", points=spatial(points))
        yield SpatialLine(what="limit", name="arm", points=spatial(points * np.array([-1.0, 1.0, 1.0])))


def _levels(figure: Figure, fit: Fit | None) -> Iterator[WornLevel]:
    """Her levels as they are worn; those that the garment does not reach as she is, with her padding."""
    settled = {level.name: level for level in fit.levels if level.worn_mm is not None} if fit is not None else {}
    alone = Figure(figure.body, figure.pads, figure.gives_share)
    for level in reversed(figure.body.levels):
        at = np.array([level.side_mm])
        here = settled.get(level.name)
        ring = (figure if here else alone).over.at(at)
        girth = float(np.interp(level.side_mm, alone.heights, alone.over_mm))
        yield WornLevel(
            level=level.name,
            y_mm=float(figure.up(at, np.array([1.0]))[0]),
            half_mm=float(ring.half_mm[0]),
            front_mm=float(ring.front_mm[0]),
            back_mm=float(ring.back_mm[0]),
            worn_mm=girth if here is None or here.worn_mm is None else here.worn_mm,
            gap_mm=here.gap_mm if here else None,
            kpa=here.pressure_kpa if here and figure.body.zero == "waist" else None,
        )


class SilhouetteLevel(Record):
    """Half width, and how far ahead and behind her middle she reaches, at a height above the zero line, mm."""

    y_mm: float
    half_mm: float
    front_mm: float
    back_mm: float


class Silhouettes(Record):
    """Her outline from the lowest height up: bare, with her padding, and in the garment where there is one."""

    bare: tuple[SilhouetteLevel, ...]
    padded: tuple[SilhouetteLevel, ...]
    worn: tuple[SilhouetteLevel, ...] = ()
    heights_mm: dict[LevelName, float] = Field(default_factory=dict)


def silhouettes(inputs: OnBodyInputs) -> Silhouettes:
    """Her outline from the front and from the side (model, section 17)."""
    build, body = inputs.build, inputs.body
    bare = Figure(body)
    return Silhouettes(
        bare=_outline(bare),
        padded=_outline(Figure(body, build.pads)) if build.pads else (),
        worn=_outline(inputs.figure) if inputs.worn else (),
        heights_mm={level.name: float(bare.up(np.array([level.side_mm]), np.array([1.0]))[0]) for level in body},
    )


def _outline(figure: Figure) -> tuple[SilhouetteLevel, ...]:
    heights, rings = figure.heights, figure.over
    up = figure.up(heights, np.full(len(heights), 1.0))
    rows = np.round(np.column_stack([up, rings.half_mm, rings.front_mm, rings.back_mm]), 1).tolist()
    return tuple(SilhouetteLevel(y_mm=y, half_mm=half, front_mm=front, back_mm=back) for y, half, front, back in rows)
