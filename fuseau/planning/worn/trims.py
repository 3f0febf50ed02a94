"""Trims as they are seen on her: lines, areas, pieces, and what hangs or goes over the shoulder (model, section 17)."""

from collections.abc import Iterator, Sequence

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.record import Record
from fuseau.craft.trims.lines import OnPanel
from fuseau.craft.worn.hangs import DEEPEST_SHOWN_MM, fall, hangs_down, strap_over, strap_round_arm
from fuseau.craft.worn.surface import HalfWorn, Patch, Spatial, SpatialLine, mirrored_patch, spatial
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.trims.shown import HangingShown

_CIRCLE_WAVE_MM = 80.0
_WAVES_MM = (16.0, 60.0)  # of what is gathered: half of its depth, between these


class SpatialSpots(Record):
    """Points on her that are alike: holes, or the pieces of a trim."""

    what: str
    name: str = ""
    wide_mm: float
    points: tuple[Spatial, ...]


def trim_lines(build: Build, planned: Plan, right: HalfWorn, left: HalfWorn) -> Iterator[SpatialLine]:
    """Lines of trims and outlines of areas."""
    if planned.trims is None:
        return
    trims = planned.trims
    for shown in (*trims.along, *trims.hanging):
        for half, parts in ((right, shown.parts), (left, shown.left_parts)):
            for part in parts:
                if len(part.points) > 1:
                    yield half.line("trim", part.panel, part.points, shown.name, 1.5)
    for area, over in zip(trims.areas, build.trims.areas, strict=True):
        for half, other in ((right, "left"), (left, "right")):
            if area.laid is not None and over.half != other:
                for panel, outline in area.laid.outline:
                    yield half.line("area", panel, (*outline, outline[0]), area.name, 1.0)


def trim_spots(planned: Plan, right: HalfWorn, left: HalfWorn) -> Iterator[SpatialSpots]:
    """Pieces that lie along a line."""
    for shown in planned.trims.along if planned.trims else ():
        if not shown.spots:
            continue
        halves = [half for half, parts in ((right, shown.parts), (left, shown.left_parts)) if parts]
        found = [
            half.points(panel, np.array([point]), out_mm=2.0)[0] for half in halves for panel, point in shown.spots
        ]
        yield SpatialSpots(what="trim", name=shown.name, wide_mm=5.0, points=spatial(np.array(found)))


def depth_of(hanging: HangingShown) -> float:
    """How deep it hangs, mm."""
    if hanging.circle is not None:
        return hanging.circle.outer_mm - hanging.circle.inner_mm
    return sum(tier.depth_mm for tier in hanging.tiers)


def hanging_patches(build: Build, planned: Plan, right: HalfWorn, left: HalfWorn) -> Iterator[Patch]:
    """Frills and skirts as they fall, and straps. What is sewn along an upright line stays a line."""
    if planned.trims is None:
        return
    alike = left.pattern is right.pattern
    for shown in planned.trims.hanging:
        full = tuple(_fullness(shown))
        depth = min(depth_of(shown), DEEPEST_SHOWN_MM)
        if not full or depth <= 0:
            continue
        wave = _CIRCLE_WAVE_MM if shown.circle is not None else min(max(depth / 2, _WAVES_MM[0]), _WAVES_MM[1])
        mine = _fallen(right, shown.parts, depth, full, wave)
        if mine is not None:
            yield mine
        if mine is not None and alike and shown.left_parts == shown.parts:
            yield mirrored_patch(mine)
        else:
            other = _fallen(left, shown.left_parts, depth, full, wave)
            if other is not None:
                yield other
    for strap, worn in zip(build.trims.straps, planned.trims.straps, strict=True):
        if worn.laid is None:
            continue
        front, back = (right.points(part.panel, np.array([part.points[0]]), out_mm=2.0)[0] for part in worn.parts)
        if worn.laid.up_mm is None:
            made = strap_round_arm(front, back, strap.arm_mm or 0.0, strap.wide_mm)
        else:
            end = None if strap.kind == "halter" else back
            made = strap_over(front, end, strap.shoulder_out_mm, worn.laid.up_mm, strap.wide_mm, -1.0)
        yield made
        yield mirrored_patch(made)


def _fullness(shown: HangingShown) -> Iterator[tuple[float, float]]:
    """How much longer it is than what it is sewn to, so far below it: (mm, factor)."""
    if shown.circle is not None:
        yield 0.0, 1.0
        yield shown.circle.outer_mm - shown.circle.inner_mm, shown.circle.outer_mm / shown.circle.inner_mm
        return
    down, full = 0.0, 1.0
    for tier in shown.tiers:
        full *= tier.fullness
        yield down, full
        down += tier.depth_mm
        yield down - 0.01, full


def _fallen(
    half: HalfWorn, parts: Sequence[OnPanel], depth_mm: float, full: Sequence[tuple[float, float]], wave_mm: float
) -> Patch | None:
    points: list[Array] = [half.points(part.panel, np.array(part.points)) for part in parts if len(part.points) > 1]
    if not points:
        return None
    line = np.vstack(points)
    line = line[np.concatenate([[True], np.linalg.norm(np.diff(line, axis=0), axis=1) > 0.01])]
    if len(line) < 2 or not hangs_down(line):
        return None
    return fall(half.figure, line, depth_mm, full, wave_mm)
