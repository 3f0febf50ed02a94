"""Top lines and hems as curves across all panels: smooth but for the corners asked for (model, section 4).

A curve runs over u, the width from CF along its own height; between corners it is a spline in tension. Shapes that
people ask for (sweetheart, scoop, point, swoop) are points on such a line.
"""

from collections.abc import Container
from dataclasses import dataclass
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array, Basis, calm_basis
from fuseau.craft.pattern.pattern import EdgeLine, EdgePoint, End, Shape

LineShape = Literal["plain", "sweetheart", "scoop", "point", "swoop"]


@dataclass(frozen=True, eq=False)
class _Stretch:
    """A smooth piece of the curve between two corners."""

    start: float
    end: float
    basis: Basis
    values: Array


@dataclass(frozen=True, eq=False)
class EdgeCurve:
    """A top line or hem over u (mm from CF).

    `knots` are the u of its own points, CF, side and CB included; `corners` those where it turns sharply.
    """

    stretches: tuple[_Stretch, ...]
    knots: Array

    @property
    def corners(self) -> list[float]:
        """u of the corners between CF and CB."""
        return [stretch.end for stretch in self.stretches[:-1]]

    def _by_stretch(self, u: Array, before: bool, slope: bool) -> Array:
        array = np.empty(len(u))
        left = np.ones(len(u), bool)
        for k, stretch in enumerate(self.stretches):
            last = k + 1 == len(self.stretches)
            here = left & ((u < stretch.end - 1e-6) | (before & (u <= stretch.end + 1e-6)) | last)
            if here.any():
                array[here] = stretch.basis.at(u[here], slope=slope) @ stretch.values
            left &= ~here
        return array

    def heights(self, u: Array) -> Array:
        """Heights (mm) at u (n,)."""
        return self._by_stretch(u, True, False)

    def slopes(self, u: Array, before: bool = False) -> Array:
        """Slopes dz/du at u (n,); at a corner, those of the piece before or after it."""
        return self._by_stretch(u, before, True)

    def height(self, u: float) -> float:
        """Height (mm) at u."""
        return float(self.heights(np.array([u]))[0])

    def slope(self, u: float, before: bool = False) -> float:
        """Slope dz/du at u; at a corner, that of the piece before or after it."""
        return float(self.slopes(np.array([u]), before)[0])


def run_at(line: EdgeLine, shape: Shape) -> Array:
    """Width from CF to every seam along the line's own height, (panels + 1,) mm."""
    height = float(np.mean([line.cf_mm, line.side_mm, line.cb_mm]))
    low, high = shape.nominal[0] - 30, shape.nominal[-1] + 30
    return shape.seams_from_cf(float(np.clip(height, low, high)))


def place_to_run(place: float, run: Array, front_panels: int) -> float:
    """u (mm from CF) of a place (0 CF, 1 side, 2 CB)."""
    side = float(run[front_panels])
    return place * side if place <= 1 else side + (place - 1) * (float(run[-1]) - side)


def run_to_place(u: float, run: Array, front_panels: int) -> float:
    """The place (0 CF, 1 side, 2 CB) of u (mm from CF)."""
    side = float(run[front_panels])
    return u / side if u <= side else 1 + (u - side) / (float(run[-1]) - side)


def curve_of(line: EdgeLine, run: Array, front_panels: int) -> EdgeCurve:
    """The curve of a line over `run` (see `run_at`)."""
    points = [(0.0, line.cf_mm, True), (float(run[front_panels]), line.side_mm, False)]
    points += [(place_to_run(p.place, run, front_panels), p.z_mm, p.corner) for p in line.points]
    points = sorted([*points, (float(run[-1]), line.cb_mm, True)])
    merged = [points[0]]
    for u, z, corner in points[1:]:
        if u - merged[-1][0] > 0.5:
            merged.append((u, z, corner))
        elif u > run[-1] - 0.5:  # CB itself wins over a point that was set upon it
            merged[-1] = (u, z, corner)
    breaks = [i for i, (_, _, corner) in enumerate(merged) if corner]
    stretches = []
    for first, last in zip(breaks, breaks[1:], strict=False):
        own = [(one[0], one[1]) for one in merged[first : last + 1]]
        start, end = own[0][0], own[-1][0]
        before: list[tuple[float, float]] = []
        after: list[tuple[float, float]] = []
        if first == 0 and not line.corner_at_cf:  # mirrored beyond CF, so that it crosses level
            before = [(-at, z) for at, z in own[:0:-1]]
        if last == len(merged) - 1 and not line.corner_at_cb:
            after = [(2 * end - at, z) for at, z in own[-2::-1]]
        known = np.array([*before, *own, *after])
        basis = calm_basis(known[:, 0], known[:, 1], overshoot=2.0)
        stretches.append(_Stretch(start, end, basis, known[:, 1]))
    return EdgeCurve(tuple(stretches), np.array([one[0] for one in merged]))


_RUNS_OUT_MM: dict[LineShape, tuple[str, float]] = {"point": ("cf_mm", 45.0), "swoop": ("side_mm", -40.0)}


def before_shape(line: EdgeLine, shape: LineShape, end: End, typed: Container[str]) -> EdgeLine:
    """The line from which a shape ends at the heights that were `typed`, where the shape itself runs out there."""
    field, by_mm = _RUNS_OUT_MM.get(shape, ("", 0.0))
    if field not in typed:
        return line
    out = 1 if end == "top" else -1
    return line.model_copy(update={field: getattr(line, field) - out * by_mm})


def shaped(line: EdgeLine, shape: LineShape, end: End, bust_place: float = 0.5) -> EdgeLine:
    """A line through the same three heights in the shape asked for; `bust_place` is where the bust point lies.

    Amounts are usual ones: a sweetheart rises 35 mm over the bust and dips to a corner at CF, a scoop lies flat in
    front, a point runs 45 mm out at CF, a swoop rises 40 mm over the hip.
    """
    out = 1 if end == "top" else -1
    field, by_mm = _RUNS_OUT_MM.get(shape, ("", 0.0))
    runs_out = {field: getattr(line, field) + out * by_mm} if field else {}
    plain = EdgeLine(cf_mm=line.cf_mm, side_mm=line.side_mm, cb_mm=line.cb_mm)
    if shape == "sweetheart":
        rise = line.cf_mm + out * 30
        points: tuple[EdgePoint, ...] = (
            EdgePoint(place=round(bust_place * 0.55, 4), z_mm=line.cf_mm + out * 22),
            EdgePoint(place=round(bust_place, 4), z_mm=rise + out * 5),
            EdgePoint(place=round((1 + bust_place) / 2, 4), z_mm=(rise + line.side_mm) / 2),
        )
        return plain.model_copy(update={"points": points, "corner_at_cf": True})
    if shape == "scoop":
        points = (
            EdgePoint(place=0.35, z_mm=line.cf_mm),
            EdgePoint(place=0.75, z_mm=line.cf_mm + 0.75 * (line.side_mm - line.cf_mm) + out * 8),
        )
        return plain.model_copy(update={"points": points})
    if shape == "point":
        points = (EdgePoint(place=0.45, z_mm=line.cf_mm + 0.55 * (line.side_mm - line.cf_mm)),)
        return plain.model_copy(update={"points": points, "corner_at_cf": True, **runs_out})
    if shape == "swoop":
        points = (
            EdgePoint(place=0.4, z_mm=line.cf_mm + 0.2 * (line.side_mm - line.cf_mm)),
            EdgePoint(place=0.95, z_mm=line.side_mm - out * 34),
            EdgePoint(place=1.5, z_mm=line.cb_mm + 0.35 * (line.side_mm - out * 40 - line.cb_mm)),
        )
        return plain.model_copy(update={"points": points, **runs_out})
    return plain
