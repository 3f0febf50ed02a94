"""Bias, binding, facing and tape: lengths, widths, joins, and how many strips a piece of cloth gives (model, 11)."""

import math
from collections.abc import Sequence
from typing import Literal

from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record

_MORE_STRIPS = 24
BindingKind = Literal["single", "folded"]


class Strips(Record):
    """Strips cut from a width of cloth and joined to a length: how many, how long each, how much cloth they take.

    On the bias `cloth_mm` is the length of the cloth whose slanting strips are cut; `joins` are on the slant.
    """

    width_mm: float
    length_mm: float
    count: int
    joins: int
    cloth_mm: float


def strip_width(finished_mm: float, thickness_mm: float, kind: BindingKind = "single") -> float:
    """How wide a binding is cut: 4 × what shows + 2 × the cloth; folded (French) 6 × and 4 ×, mm (model, 11).

    >>> round(strip_width(12, 1.15), 1)
    50.3
    """
    turns, plies = (4, 2) if kind == "single" else (6, 4)
    return turns * finished_mm + plies * thickness_mm


def binding_length(edge_mm: float, practice: Practice, ends: int = 2) -> float:
    """How long a binding is cut for an edge: along its stitch line, with a turn-in at each end, mm."""
    return edge_mm + ends * practice.binding_turn_mm


def least_width(width_mm: float, practice: Practice) -> float:
    """How wide a cloth has to be that bias strips of a width are cut from it, mm."""
    return 2 * practice.join_allowance_mm + width_mm


def bias_strips(length_mm: float, width_mm: float, cloth_wide_mm: float, practice: Practice) -> Strips:
    """Strips at 45° across a width of cloth, joined on the slant until they are long enough.

    A strip from selvedge to selvedge is √2 times as long as the cloth is wide, and its ends are the slant that it is
    joined on: each join takes two allowances, and what is squared at both ends of the whole takes a strip's width.
    Side by side strips take √2 of their width of the cloth's length, beside what the first one climbs: of more strips
    than the width asks for, each climbs less. As many are cut as take least: a wider cloth never takes more.
    Raises ValueError for a strip that is too wide for the cloth.
    """
    return bias_strips_beside([length_mm], width_mm, cloth_wide_mm, practice)[0]


def bias_strips_beside(
    lengths_mm: Sequence[float], width_mm: float, cloth_wide_mm: float, practice: Practice
) -> tuple[Strips, ...]:
    """Strips as `bias_strips` for several lengths that are cut beside each other: all together take the least cloth.

    Raises ValueError for a strip that is too wide for the cloth.
    """
    reach = math.sqrt(2) * cloth_wide_mm
    lost = 2 * practice.join_allowance_mm * math.sqrt(2)
    if cloth_wide_mm < least_width(width_mm, practice):
        raise ValueError("no strip of this width can be cut across this cloth")
    wholes = [length + width_mm for length in lengths_mm]

    def fewest(whole: float, longest: float) -> int:
        return max(1, math.ceil((whole - lost) / (longest - lost) - 1e-9))

    def each(whole: float, count: int) -> float:
        return (whole + (count - 1) * lost) / count

    def takes(counts: Sequence[int]) -> float:
        climbs = max(each(whole, count) for whole, count in zip(wholes, counts, strict=True))
        return climbs / math.sqrt(2) + sum(counts) * width_mm * math.sqrt(2)

    # the longest strip decides what all climb: tried as long as each length allows, cut in a few more than it must
    tried = {
        each(whole, count)
        for whole in wholes
        for count in range(fewest(whole, reach), fewest(whole, reach) + _MORE_STRIPS)
    }
    ways = [tuple(fewest(whole, longest) for whole in wholes) for longest in tried if longest > lost]
    ways.append(tuple(fewest(whole, reach) for whole in wholes))
    counts = min(ways, key=lambda way: (round(takes(way), 6), sum(way)))
    return tuple(
        Strips(
            width_mm=width_mm,
            length_mm=length,
            count=count,
            joins=count - 1,
            cloth_mm=each(whole, count) / math.sqrt(2) + count * width_mm * math.sqrt(2),
        )
        for length, whole, count in zip(lengths_mm, wholes, counts, strict=True)
    )


def side_by_side(strips: Sequence[Strips]) -> float:
    """How much of a cloth's length bias strips of several widths take together, mm: the longest climbs once."""
    beside = [strip.count * strip.width_mm * math.sqrt(2) for strip in strips]
    climbs = [strip.cloth_mm - own for strip, own in zip(strips, beside, strict=True)]
    return max(climbs, default=0.0) + sum(beside)


def straight_strips(length_mm: float, width_mm: float, cloth_wide_mm: float, practice: Practice) -> Strips:
    """Strips straight across a width of cloth, joined until they are long enough. Raises ValueError where none is."""
    lost = 2 * practice.join_allowance_mm
    if cloth_wide_mm <= lost:
        raise ValueError("no strip can be cut across this cloth")
    count = max(1, math.ceil((length_mm - lost) / (cloth_wide_mm - lost) - 1e-9))
    return Strips(
        width_mm=width_mm,
        length_mm=length_mm,
        count=count,
        joins=count - 1,
        cloth_mm=count * width_mm,
    )


def bias_yield(cloth_wide_mm: float, cloth_long_mm: float, width_mm: float) -> float:
    """How much bias strip a piece of cloth gives at the most, mm: its area over the strip's width, less the corners.

    Two right triangles of the shorter side are left at the ends of what is cut at 45°, as far as strips are too short
    to be joined.
    """
    short, long = sorted((cloth_wide_mm, cloth_long_mm))
    least = 4 * width_mm  # a shorter strip is not worth its joins
    corner = min(least / math.sqrt(2), short)
    return max(0.0, (short * long - corner**2) / width_mm)
