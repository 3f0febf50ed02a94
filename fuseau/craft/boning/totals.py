"""What a choice of bones comes to: stiffness round the body, weight, price, time, and how far they must bend (7)."""

import math
from collections.abc import Mapping
from typing import Literal

import numpy as np

from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone
from fuseau.craft.boning.choices import EndsClosed
from fuseau.craft.fit.fit import Fit
from fuseau.craft.materials.catalogue import BoneKind, BoneName
from fuseau.craft.materials.minutes import MINUTES
from fuseau.craft.pattern.cups import Cup
from fuseau.craft.pattern.trueing import Laid

Region = Literal["front", "side", "back"]


class RoundStiffness(Record):
    """Σ EI flat-wise of the bones per metre of girth, N·m: in front, at the sides and behind."""

    front: float
    side: float
    back: float


class Boning(Record):
    """All bones of a garment: how many, what they weigh (g), cost and take (minutes to cut, close and label).

    `flat_radius_mm` is the tightest that the worn profile bends them flat-wise, at `flat_z_mm`; `takes_a_set` are kinds
    that stay bent there.
    """

    count: int
    stiffness: RoundStiffness
    grams: float
    price: float
    minutes: float
    ends: int
    coats: int
    flat_radius_mm: float
    flat_z_mm: float
    takes_a_set: tuple[str, ...]


class CupBoning(Record):
    """What stiffens a cup: its wire and casing, and the lengths of sewn-through boning on its seams, mm."""

    wire_mm: float
    wire_across_mm: float
    casing_mm: float
    seam_mm: float
    sentence: Message


def boning(
    bones: tuple[Bone, ...],
    laid: Laid,
    front_panels: int,
    ends: EndsClosed,
    kinds: Mapping[BoneName, BoneKind],
    worn: Fit,
    practice: Practice,
    left: tuple[Bone, ...] | None = None,
) -> Boning:
    """Stiffness, weight, price and time of the bones of a garment, both halves (model, section 7).

    `left` are those of the left half where they differ from `bones`, of the right.
    """
    everywhere = [bone for bone in (*bones, *(bones if left is None else left)) if bone.length_mm > 0]
    count = sum(bone.count for bone in everywhere)
    metres: dict[BoneName, float] = {}
    pieces: dict[BoneName, int] = {}
    for bone in everywhere:
        metres[bone.kind] = metres.get(bone.kind, 0.0) + bone.count * bone.length_mm / 1000
        pieces[bone.kind] = pieces.get(bone.kind, 0) + bone.count
    cut = {name: number for name, number in pieces.items() if kinds[name].sold != "ready-cut"}
    steel = sum(number for name, number in cut.items() if kinds[name].stuff.ends == "tipped or dipped")
    dipped = steel if ends == "dip" else 0
    coats = round(2 * dipped * practice.dip_coats)
    radius, at = profile_bend(worn)
    return Boning(
        count=count,
        stiffness=stiffness_round(bones, laid, front_panels, kinds),
        grams=sum(metres[name] * kinds[name].g_per_m for name in metres),
        price=sum(metres[name] * kinds[name].price_per_m + pieces[name] * kinds[name].price_each for name in metres),
        minutes=sum(number * MINUTES[kinds[name].stuff.work] for name, number in cut.items())
        + coats / 2 * MINUTES["dip a coat"],
        ends=2 * sum(cut.values()),
        coats=coats,
        flat_radius_mm=radius,
        flat_z_mm=at,
        takes_a_set=tuple(kinds[name].label for name in metres if kinds[name].least_flat_radius_mm > radius),
    )


def stiffness_round(
    bones: tuple[Bone, ...], laid: Laid, front_panels: int, kinds: Mapping[BoneName, BoneKind]
) -> RoundStiffness:
    """How stiff the bones make it round the waist.

    A region is a third of the way from CF to CB, by share of the front and of the back half.
    """
    widths = [panel.waist[1][0] - panel.waist[0][0] for panel in laid.panels]
    front, back = sum(widths[:front_panels]), sum(widths[front_panels:])
    regions: tuple[Region, ...] = ("front", "side", "back")
    found: dict[Region, float] = dict.fromkeys(regions, 0.0)
    for bone in bones:
        if bone.length_mm <= 0:
            continue
        path = np.array(bone.path)
        x = float(np.interp(0.0, path[:, 1], path[:, 0])) - laid.panels[bone.panel - 1].waist[0][0]
        along = sum(widths[: bone.panel - 1]) + x
        place = along / front if along <= front else 1 + (along - front) / back
        found[regions[min(2, int(place * 1.5))]] += bone.count * kinds[bone.kind].flatwise_stiffness()
    long = {"front": front * 2 / 3, "side": (front + back) / 3, "back": back * 2 / 3}
    return RoundStiffness(**{region: found[region] / (long[region] / 1000) for region in regions})


def profile_bend(worn: Fit) -> tuple[float, float]:
    """The tightest radius (mm) of the profile r(z) = worn girth / 2π, and its height: circles through three levels."""
    levels = sorted((level.z_mm, level.worn_mm or level.body_mm) for level in worn.levels)
    spots = [np.array([girth / (2 * math.pi), z]) for z, girth in levels]
    found = (1e6, 0.0)
    for a, b, c in zip(spots, spots[1:], spots[2:], strict=False):
        sides = [float(np.hypot(*(one - other))) for one, other in ((a, b), (b, c), (c, a))]
        (ax, az), (bx, bz) = b - a, c - a
        area = abs(float(ax * bz - az * bx)) / 2
        if area > 1e-6:
            found = min(found, (math.prod(sides) / (4 * area), float(b[1])))
    return found


def cup_boning(cup: Cup | None, practice: Practice) -> CupBoning | None:
    """The underwire of a cup, its casing, and the boning sewn through its seam; None without cups.

    The casing is as long as the wire and its clearance at both ends, where the top binding closes it in.
    """
    if cup is None:
        return None
    seam = max(piece.edges_mm["seam over the bust point"] for piece in cup.pieces)
    casing = cup.wire_mm + 2 * practice.wire_clear_mm
    return CupBoning(
        wire_mm=cup.wire_mm,
        wire_across_mm=cup.wire_diameter_mm,
        casing_mm=math.ceil(casing),
        seam_mm=math.floor(seam - 2 * practice.wire_clear_mm),
        sentence=message("cup_boning"),
    )
