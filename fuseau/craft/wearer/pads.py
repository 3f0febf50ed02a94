"""Padding worn under a garment: what it adds to her girths, and the layers that make its shape (model, section 17)."""

import math
from collections.abc import Sequence
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Record
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.wearer.body import Body, BodyLevel
from fuseau.craft.wearer.measures import SEEN_LABELS, SeenLevel

PadPlace = Literal["sides", "front", "back", "all round"]
_BELOW_MM = 80.0  # a pad at the last level runs out so far beyond it
_BEYOND: dict[PadPlace, float] = {"sides": 60.0, "front": 60.0, "back": 60.0, "all round": 90.0}  # ° from its middle
_SHOULDER_IN_MM, _SHOULDER_DEEP_MM = 105.0, 80.0  # from its outer edge towards the neck; from the edge to each side
_ONE_LAYER = 0.15  # a single layer reaches to where there is so much left of its thickness
_ALONG = 41  # points of a layer's edge from its top to its bottom


class Pad(Record):
    """Padding at a level: how thick it is there, on each side of it that is meant. It runs out at the next levels.

    That of the shoulders is worn in the costume over it, and adds to no girth.
    """

    level: SeenLevel
    place: PadPlace = "sides"
    cloth: ClothName = "foam"
    thick_mm: Annotated[float, Length("the thickness of padding", 3, 80, hardware=True)]


class PadLayer(Record):
    """A layer of a pad, cut as one flat piece; the outline is centred on where it is thickest, mm."""

    outline: tuple[tuple[float, float], ...]


class PadMade(Record):
    """A pad as it is cut: its layers from the largest, how many there are of it, and by how much it widens her."""

    level: SeenLevel
    place: PadPlace
    name: str
    cloth: ClothName
    thick_mm: float
    girth_mm: float
    count: int
    layers: tuple[PadLayer, ...]
    wide_mm: float
    high_mm: float


def girths_added(pads: Sequence[Pad], body: Body, gives_share: float) -> Array:
    """By how much pads widen the girth at each of the body's levels, (levels,) mm.

    An ellipse of half width a and depth b, C = 2π·√((a² + b²)/2), with a or b larger by what a garment leaves of the
    thickness: it presses foam and wadding flat by `gives_share`. In front or behind it is half of the ellipse.
    """
    array = np.zeros(len(body.levels))
    for pad in pads:
        for i, level in enumerate(body):
            if level.name == pad.level:
                array[i] += _added(level, pad.place, pad.thick_mm * (1 - gives_share))
    return array


def _added(level: BodyLevel, place: PadPlace, thick: float) -> float:
    ratio = level.width_to_depth
    deep = level.girth_mm / (2 * math.pi * math.sqrt((ratio**2 + 1) / 2))
    wide = ratio * deep

    def girth(a: float, b: float) -> float:
        return 2 * math.pi * math.sqrt((a**2 + b**2) / 2)

    if place == "sides":
        return girth(wide + thick, deep) - level.girth_mm
    if place == "all round":
        return girth(wide + thick, deep + thick) - level.girth_mm
    return (girth(wide, deep + thick) - level.girth_mm) / 2


def along_back(added: Array, body: Body) -> tuple[tuple[float, float], ...]:
    """What pads add, over the heights at the back (rising, mm); nothing where they add nothing.

    It runs out evenly to the next level that is not padded, and below the last one within 80 mm.
    """
    if not added.any():
        return ()
    heights = [level.back_mm for level in body]
    found = list(zip(heights, map(float, added), strict=True))
    if added[0]:
        found.insert(0, (heights[0] - _BELOW_MM, 0.0))
    if added[-1]:
        found.append((heights[-1] + _BELOW_MM, 0.0))
    return tuple(found)


def check_pads(pads: Sequence[Pad], body: Body, at: str = "pads") -> None:
    """Pads lie where something is known of her, each place once, and none where she is laced.

    Raises Unmakeable at the field of the pad that does not.
    """
    seen: set[tuple[SeenLevel, PadPlace]] = set()
    for i, pad in enumerate(pads):
        if pad.level == body.zero:
            raise Unmakeable(f"{at}.{i}.level", "pads.waist")
        if pad.level == "shoulders" and pad.place != "sides":
            raise Unmakeable(f"{at}.{i}.place", "pads.shoulders")
        if (pad.level, pad.place) in seen:
            raise Unmakeable(f"{at}.{i}.place", "pads.twice")
        seen.add((pad.level, pad.place))


def make_pad(pad: Pad, body: Body, sheet_mm: float, gives_share: float) -> PadMade | None:
    """A pad as layers of a sheet so thick; None at a level that the garment does not reach.

    Thickness over the body is t·cos(90° θ/θ0) to the sides and a triangle from level to level: each layer is where
    there is more of it than lies in the layers before, less half a sheet, so that the steps lie on either side of it.
    There are as many as come nearest to the thickness. Shoulder pads are half ellipses, thickest at their straight
    outer edge, and run out evenly.
    """
    count = max(1, round(pad.thick_mm / sheet_mm))
    shares = [(k + 0.5) / count for k in range(count)] if count > 1 else [_ONE_LAYER]
    if pad.level == "shoulders":
        return _made(pad, [_half_ellipse(1 - share) for share in shares], 0.0)
    at = next((i for i, level in enumerate(body) if level.name == pad.level), None)
    if at is None:
        return None
    levels, level = body.levels, body.levels[at]
    up = levels[at + 1].side_mm - level.side_mm if at + 1 < len(levels) else _BELOW_MM
    down = level.side_mm - levels[at - 1].side_mm if at else _BELOW_MM
    around = math.radians(_BEYOND[pad.place]) * level.girth_mm / (2 * math.pi)  # half its width, mm
    layers = [_contour(share, around, up, down) for share in shares]
    return _made(pad, layers, _added(level, pad.place, pad.thick_mm * (1 - gives_share)))


def _made(pad: Pad, layers: Sequence[PadLayer], girth_mm: float) -> PadMade:
    first = np.array(layers[0].outline)
    wide, high = np.ptp(first, axis=0)
    return PadMade(
        level=pad.level,
        place=pad.place,
        name=name_of(pad),
        cloth=pad.cloth,
        thick_mm=pad.thick_mm,
        girth_mm=girth_mm,
        count=2 if pad.place in ("sides", "all round") else 1,
        layers=tuple(layers),
        wide_mm=float(wide),
        high_mm=float(high),
    )


def _contour(share: float, around: float, up: float, down: float) -> PadLayer:
    """Where a pad is thicker than a share of what it is in the middle."""
    s = np.linspace(-1, 1, _ALONG)
    half = np.arccos(np.clip(share / np.maximum(1 - (1 - share) * np.abs(s), 1e-9), -1, 1)) / (math.pi / 2) * around
    z = np.where(s > 0, up, down) * s * (1 - share)
    right, left = np.column_stack([half, z]), np.column_stack([-half, z])[::-1]
    points = np.vstack([right[1:-1], left])
    return PadLayer(outline=tuple((round(float(x), 2), round(float(y), 2)) for x, y in points))


def _half_ellipse(size: float) -> PadLayer:
    """A layer of a shoulder pad: its straight edge lies at the end of the shoulder."""
    angle = np.linspace(0.0, math.pi, _ALONG)
    points = np.column_stack([_SHOULDER_DEEP_MM * np.cos(angle), _SHOULDER_IN_MM * np.sin(angle)]) * size
    return PadLayer(outline=tuple((round(float(x), 2), round(float(y), 2)) for x, y in points))


def name_of(pad: Pad) -> str:
    """A pad as it is called: hip pad, front of the bust pad."""
    if pad.level == "shoulders":
        return "shoulder pad"
    level = SEEN_LABELS[pad.level].lower()
    return {"sides": f"{level} pad", "all round": f"{level} pad all round"}.get(pad.place, f"{level} pad, {pad.place}")


Pads = Annotated[tuple[Pad, ...], Field(max_length=8)]
