"""Frills and skirts of a plan: how they are cut from their cloth, and what that takes (model, section 15)."""

import math

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.materials.cloths import Cloth
from fuseau.craft.materials.minutes import Work
from fuseau.craft.trims.choices import Hanging
from fuseau.craft.trims.gathers import circle, fullness_at_hand, tier_cut
from fuseau.planning.trims.shown import HangingShown

_SEAM_MM = 10.0  # that frills and skirts are joined with


def tiers_of(trim: Hanging, base: HangingShown, cloth: Cloth, at: str) -> HangingShown:
    """What is gathered in tiers, each onto the one above. Raises Unmakeable at a field below `at`."""
    usable, hem = cloth.usable_mm, _hem(trim)
    if trim.strips == "across" and usable <= 2 * _SEAM_MM:
        raise Unmakeable(f"{at}.cloth", "trim.narrow", cloth=cloth.label)
    tiers, along, at_hand = [], base.along_mm, False
    for k, tier in enumerate(trim.tiers):
        last = k == len(trim.tiers) - 1
        sizes = {"seam_mm": _SEAM_MM, "hem_mm": hem if last else 0.0, "heading_mm": 0.0 if k else trim.heading_mm}
        if trim.at_hand_mm is not None and len(trim.tiers) == 1:
            full = fullness_at_hand(
                along, trim.at_hand_mm, usable, tier.depth_mm, along_the_cloth=trim.strips == "along", **sizes
            )
            if full < 1:
                raise Unmakeable(f"{at}.at_hand_mm", "trim.too_little", length_mm=trim.at_hand_mm, along_mm=along)
            tier, at_hand = tier.model_copy(update={"fullness": min(full, 6.0)}), True
        cut = tier_cut(
            along,
            tier,
            usable,
            round_=trim.opens == "nowhere",
            along_the_cloth=trim.strips == "along",
            longest_mm=trim.at_hand_mm if trim.at_hand_mm is not None and at_hand else math.inf,
            **sizes,
        )
        if trim.strips == "along" and cut.high_mm > usable:
            raise Unmakeable(f"{at}.tiers.{k}.depth_mm", "trim.deep", usable_mm=usable)
        tiers.append(cut)
        along = cut.joined_mm
    area = sum(cut.joined_mm * cut.high_mm for cut in tiers)
    length = sum(cut.cloth_mm for cut in tiers)
    works: list[tuple[Work, float]] = [("gather and sew on", cut.along_mm / 100) for cut in tiers]
    works += [("sew a seam", float(sum(cut.joins for cut in tiers))), *_hem_work(trim, tiers[-1].joined_mm)]
    return base.model_copy(
        update={
            "tiers": tuple(tiers),
            "at_hand": at_hand,
            "cloth_mm": length,
            "hem_mm": tiers[-1].joined_mm,
            "grams": area / 1e6 * cloth.mass_g_m2,
            "price": length / 1000 * cloth.price_per_m,
            "works": tuple(works),
        }
    )


def circle_of(trim: Hanging, base: HangingShown, cloth: Cloth, at: str) -> HangingShown:
    """Part of a circle as deep as its tiers together. Raises Unmakeable at a field below `at`."""
    depth = sum(tier.depth_mm for tier in trim.tiers)
    found = circle(base.along_mm, depth, trim.part, cloth.usable_mm, seam_mm=_SEAM_MM, hem_mm=_hem(trim) / 2)
    if found.cloth_mm is None:
        raise Unmakeable(
            f"{at}.part", "trim.circle_wide", wide_mm=min(found.wide_mm, found.high_mm), usable_mm=cloth.usable_mm
        )
    if trim.at_hand_mm is not None and found.cloth_mm > trim.at_hand_mm:
        raise Unmakeable(f"{at}.at_hand_mm", "trim.circle_long", needed_mm=found.cloth_mm)
    area = math.radians(found.angle_deg) / 2 * (found.outer_cut_mm**2 - found.inner_cut_mm**2) * found.pieces
    works: list[tuple[Work, float]] = [("trim by machine", base.along_mm / 100), ("sew a seam", float(found.seams))]
    return base.model_copy(
        update={
            "circle": found,
            "cloth_mm": found.cloth_mm,
            "hem_mm": found.hem_mm,
            "grams": area / 1e6 * cloth.mass_g_m2,
            "price": found.cloth_mm / 1000 * cloth.price_per_m,
            "works": (*works, *_hem_work(trim, found.hem_mm)),
        }
    )


def _hem_work(trim: Hanging, hem_mm: float) -> tuple[tuple[Work, float], ...]:
    if trim.hem == "not hemmed":
        return ()
    return (("hem rolled" if trim.hem == "rolled by machine" else "hem by hand", hem_mm / 100),)


def _hem(trim: Hanging) -> float:
    return 0.0 if trim.hem == "not hemmed" else trim.hem_mm
