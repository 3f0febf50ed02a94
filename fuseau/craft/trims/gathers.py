"""Frills and skirts: cloth from fullness and back, strips and joins, circles on the cloth (model, section 15)."""

import math
from collections.abc import Sequence

from fuseau.craft.base.record import Record
from fuseau.craft.trims.choices import CirclePart, Tier

SKIMPY = 1.5
PARTS: dict[CirclePart, float] = {"half": 0.5, "three quarter": 0.75, "full": 1.0, "double": 2.0}
_LEAST_MM = 1e-6


class TierCut(Record):
    """A tier as it is cut: strips `high_mm` by `strip_mm`, how many, and their length joined.

    `along_mm` is what it is gathered onto, `joined_mm` what it is before that, seams taken off; `cloth_mm` the length
    of cloth that its strips take. `skimpy`: less than half as full again.
    """

    depth_mm: float
    fullness: float
    along_mm: float
    joined_mm: float
    high_mm: float
    strip_mm: float
    strips: int
    joins: int
    cloth_mm: float
    skimpy: bool


def tier_cut(
    along_mm: float,
    tier: Tier,
    usable_mm: float,
    *,
    seam_mm: float,
    hem_mm: float,
    heading_mm: float,
    round_: bool,
    along_the_cloth: bool = False,
    longest_mm: float = math.inf,
) -> TierCut:
    """A tier cut for a finished length.

    Strips are cut across the cloth, `usable_mm` long each at most, all of one length and joined with `seam_mm` on both
    sides; along the cloth as few as a piece `longest_mm` long allows, side by side as its width does. `round_`: its
    ends are joined too; else each end is turned in by a seam's width. `high_mm` is depth, hem twice turned, heading
    and the seam at its top.
    """
    joined = along_mm * tier.fullness
    high = tier.depth_mm + 2 * hem_mm + heading_mm + seam_mm
    if along_the_cloth:
        strips = max(1, math.ceil(joined / (longest_mm - 2 * seam_mm) - _LEAST_MM))
        strip = joined / strips + 2 * seam_mm
        side_by_side = max(1, math.floor(usable_mm / high + _LEAST_MM))
        return _tier(
            tier=tier,
            along=along_mm,
            joined=joined,
            high=high,
            strip=strip,
            strips=strips,
            round_=round_,
            cloth_mm=math.ceil(strips / side_by_side) * strip,
        )
    strips = max(1, math.ceil(joined / (usable_mm - 2 * seam_mm) - _LEAST_MM))
    strip = joined / strips + 2 * seam_mm
    return _tier(
        tier=tier,
        along=along_mm,
        joined=joined,
        high=high,
        strip=strip,
        strips=strips,
        round_=round_,
        cloth_mm=strips * high,
    )


def _tier(
    tier: Tier, along: float, joined: float, high: float, strip: float, strips: int, round_: bool, *, cloth_mm: float
) -> TierCut:
    return TierCut(
        depth_mm=tier.depth_mm,
        fullness=tier.fullness,
        along_mm=along,
        joined_mm=joined,
        high_mm=high,
        strip_mm=strip,
        strips=strips,
        joins=strips if round_ else strips - 1,
        cloth_mm=cloth_mm,
        skimpy=tier.fullness < SKIMPY - 1e-9,
    )


def fullness_at_hand(
    along_mm: float,
    at_hand_mm: float,
    usable_mm: float,
    depth_mm: float,
    *,
    seam_mm: float,
    hem_mm: float,
    heading_mm: float,
    along_the_cloth: bool = False,
) -> float:
    """How full a tier becomes with a length of cloth: as many strips as come out of it, gathered onto the length.

    >>> fullness_at_hand(800, 330, 1100, 80, seam_mm=10, hem_mm=10, heading_mm=0)
    4.05
    """
    high = depth_mm + 2 * hem_mm + heading_mm + seam_mm
    if along_the_cloth:
        strips, each = math.floor(usable_mm / high + _LEAST_MM), at_hand_mm - 2 * seam_mm
    else:
        strips, each = math.floor(at_hand_mm / high + _LEAST_MM), usable_mm - 2 * seam_mm
    return max(0.0, strips * each / along_mm)


class Circle(Record):
    """Part of a circle as it is cut: radius of its waist and of its hem, stitch lines, mm; in so many pieces.

    `inner_cut_mm` and `outer_cut_mm` are with the seam and the hem; each piece is a sector of `angle_deg`. `cloth_mm`
    is the length of the cloth that they take, side by side; None where no such piece comes out of its width.
    """

    waist_mm: float
    inner_mm: float
    outer_mm: float
    inner_cut_mm: float
    outer_cut_mm: float
    hem_mm: float
    pieces: int
    angle_deg: float
    seams: int
    cloth_mm: float | None
    high_mm: float
    wide_mm: float


def circle(
    waist_mm: float,
    depth_mm: float,
    part: CirclePart,
    usable_mm: float,
    *,
    seam_mm: float,
    hem_mm: float,
) -> Circle:
    """A circle, or part of one, for a waist: the fewest pieces that come out of the cloth's width.

    r = waist ÷ (2π · part), the hem lies so much further out. Its pieces are joined all round, and it opens in
    one of their seams; a full circle in one piece has none, and is slit.
    """
    share = PARTS[part]
    inner = waist_mm / (2 * math.pi * share)
    outer = inner + depth_mm
    cut_in, cut_out = max(1.0, inner - seam_mm), outer + 2 * hem_mm
    best: Circle | None = None
    for pieces in _splits(share):
        angle = 360 * share / pieces
        wide, high = sector_size(cut_in, cut_out, angle)
        wide += 2 * seam_mm
        length = _laid(wide, high, pieces, usable_mm)
        found = Circle(
            waist_mm=waist_mm,
            inner_mm=inner,
            outer_mm=outer,
            inner_cut_mm=cut_in,
            outer_cut_mm=cut_out,
            hem_mm=2 * math.pi * share * outer,
            pieces=pieces,
            angle_deg=angle,
            seams=0 if pieces == 1 and share == 1 else pieces,
            cloth_mm=length,
            high_mm=high,
            wide_mm=wide,
        )
        best = best if best is not None and (length is None or best.cloth_mm is not None) else found
        if length is not None:
            return found
    assert best is not None
    return best


def _splits(share: float) -> Sequence[int]:
    """Into how many equal pieces of at most a full circle it may be cut, the fewest first."""
    least = max(1, math.ceil(share))
    return sorted({least, *(round(share * 2), round(share * 4), round(share * 8))} - {0})


def sector_size(inner_mm: float, outer_mm: float, angle_deg: float) -> tuple[float, float]:
    """Width and height of the box round a ring sector that lies with its middle upright.

    >>> [round(one) for one in sector_size(100, 500, 90)]
    [707, 429]
    >>> [round(one) for one in sector_size(100, 500, 360)]
    [1000, 1000]
    """
    half = math.radians(min(angle_deg, 360.0)) / 2
    wide = 2 * outer_mm * (math.sin(half) if half < math.pi / 2 else 1.0)
    low = inner_mm * math.cos(half) if half <= math.pi / 2 else outer_mm * math.cos(half)
    return wide, outer_mm - low


def _laid(wide: float, high: float, pieces: int, usable_mm: float) -> float | None:
    """The least length of cloth for so many boxes, upright or lying, side by side as the width allows."""
    found = []
    for across, along in ((wide, high), (high, wide)):
        if across <= usable_mm + _LEAST_MM:
            found.append(math.ceil(pieces / math.floor(usable_mm / across + _LEAST_MM)) * along)
    return min(found, default=None)
