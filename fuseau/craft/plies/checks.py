"""What is odd about the plies, and what would mend it (model, sections 10 and 18)."""

from collections.abc import Mapping, Sequence

from fuseau.craft.base.findings import Change, Finding, finding, mend
from fuseau.craft.base.practice import Practice
from fuseau.craft.materials.cloths import Cloth, ClothName
from fuseau.craft.plies.layers import Layers
from fuseau.craft.plies.methods import METHODS
from fuseau.craft.plies.overlay import OverlayPlan
from fuseau.craft.plies.reckoning import PlyPlan, Thick, shares
from fuseau.craft.plies.repeats import RepeatPlan

_TO_TURN_MM = 1.4  # a shell stiffer than this does not turn through an opening without creases
_THIN_MM = 0.22
_THIN_FASHION_MM = 0.25
_BURNS = 5.0  # °C


def check_plies(
    layers: Layers, plies: Sequence[PlyPlan], panels: int, cloths: Mapping[ClothName, Cloth], practice: Practice
) -> list[Finding]:
    """Panels that are not there, cloth that carries too much or is not made to, heat, growth, and thin linings."""
    findings = []
    for i, (ply, planned) in enumerate(zip(layers.plies, plies, strict=True)):
        cloth, at = cloths[ply.cloth], f"layers.plies.{i}"
        lost = [panel for panel in ply.panels or () if panel > panels]
        if lost:
            left = [panel for panel in ply.panels or () if panel <= panels]
            findings.append(
                finding(
                    "ply_off_panels",
                    "layers",
                    "caution",
                    at=f"{at}.panels",
                    where=cloth.label,
                    numbers={"panels": panels},
                    mend=mend("mend.ply_panels", Change(at=f"{at}.panels", value=left or None)),
                    cloth=cloth.label,
                    lost=", ".join(map(str, lost)),
                )
            )
        findings += _carrying(layers, i, planned, plies, cloths)
        findings += _heat(layers, i, plies, cloths)
        if planned.mounted == "floating" and planned.thickness_mm < _THIN_MM:
            findings.append(
                finding(
                    "thin_floating_lining",
                    "layers",
                    "advice",
                    at=f"{at}.cloth",
                    where=cloth.label,
                    numbers={"thickness_mm": planned.thickness_mm},
                    cloth=cloth.label,
                )
            )
        findings += _thin_fashion(layers, i, cloth)
        if planned.grows_at and planned.grows_all:  # at few edges the pieces are cut so, and nothing is to be minded
            findings.append(
                finding(
                    "ply_grows" if planned.grows_mm > 0 else "ply_shrinks",
                    "layers",
                    "advice",
                    at=f"{at}.thickness_mm",
                    where=cloth.label,
                    numbers={"grows_mm": abs(planned.grows_mm), "edge_mm": abs(planned.grows_edge_mm)},
                    cloth=cloth.label,
                )
            )
    return findings


def _carrying(
    layers: Layers, i: int, planned: PlyPlan, plies: Sequence[PlyPlan], cloths: Mapping[ClothName, Cloth]
) -> list[Finding]:
    ply, at = layers.plies[i], f"layers.plies.{i}.cloth"
    if planned.carries_n_per_m is None:
        return []
    if planned.carries_n_per_m > planned.holds_n_per_m:
        stronger = _one_that_holds(layers, plies, cloths) if ply.role == "strength" else None
        return [
            finding(
                "ply_overloaded",
                "layers",
                "caution",
                at=at,
                where=planned.label,
                numbers={"carries_n": planned.carries_n_per_m, "holds_n": planned.holds_n_per_m},
                mend=mend("mend.cloth", Change(at=at, value=stronger.name), cloth=stronger.label) if stronger else None,
                cloth=planned.label,
            )
        ]
    if ply.role == "strength" and "strength" not in cloths[ply.cloth].suits:
        return [finding("not_a_strength_cloth", "layers", "caution", at=at, where=planned.label, cloth=planned.label)]
    return []


def _one_that_holds(layers: Layers, plies: Sequence[PlyPlan], cloths: Mapping[ClothName, Cloth]) -> Cloth | None:
    """The cheapest cloth for the strength ply with which no ply carries more than it bears."""
    carried = sum(ply.carries_n_per_m or 0.0 for ply in plies)
    together = [ply.sewn_as_one for ply in plies]
    stiff = [cloths[ply.cloth].stiffness_kn_per_m for ply in plies]
    k = layers.carrying
    for cloth in sorted(cloths.values(), key=lambda cloth: cloth.price_per_m):
        if "strength" not in cloth.suits:
            continue
        part = shares(
            [cloth.stiffness_kn_per_m if j == k else stiffness for j, stiffness in enumerate(stiff)], together
        )
        holds = [cloth.holds_n_per_m if j == k else ply.holds_n_per_m for j, ply in enumerate(plies)]
        if all(share * carried <= most for share, most in zip(part, holds, strict=True)):
            return cloth
    return None


def _heat(layers: Layers, i: int, plies: Sequence[PlyPlan], cloths: Mapping[ClothName, Cloth]) -> list[Finding]:
    """A fusible whose heat the cloth that it is fused to, or what lies over that, does not bear."""
    cloth = cloths[layers.plies[i].cloth]
    if plies[i].mounted != "fused" or cloth.fuses_c is None:
        return []
    beside = [cloths[plies[k].cloth] for k in (i - 1, i + 1) if 0 <= k < len(plies) and plies[k].mounted != "floating"]
    burns = [other for other in beside if other.bears_c < cloth.fuses_c - _BURNS]
    return [
        finding(
            "fuse_burns",
            "layers",
            "caution",
            at=f"layers.plies.{i}.mounted",
            where=cloth.label,
            numbers={"fuses_c": cloth.fuses_c, "bears_c": other.bears_c},
            mend=mend("mend.flat_line", Change(at=f"layers.plies.{i}.mounted", value="flat-lined"), cloth=cloth.label),
            cloth=other.label,
            fusible=cloth.label,
        )
        for other in burns[:1]
    ]


def check_thick(layers: Layers, seam: Thick, hole: Thick | None, shell_mm: float) -> list[Finding]:
    """Seams that the machine does not take, holes whose shank is too short, a shell too stiff to be turned."""
    findings = []
    if seam.mm > seam.most_mm:
        findings.append(
            finding(
                "seam_too_thick",
                "layers",
                "caution",
                at="layers.method",
                where="Seams",
                numbers={"plies": seam.plies, "mm": seam.mm, "most_mm": seam.most_mm},
            )
        )
    if hole is not None and hole.mm > hole.most_mm:
        findings.append(
            finding(
                "hole_too_thick",
                "layers",
                "caution",
                at="back.holes",
                where="Lacing edge",
                numbers={"plies": hole.plies, "mm": hole.mm, "most_mm": hole.most_mm},
            )
        )
    if METHODS[layers.method].edges == "turned" and shell_mm > _TO_TURN_MM:
        findings.append(
            finding(
                "stiff_to_turn",
                "layers",
                "advice",
                at="layers.method",
                where="Edges",
                numbers={"mm": shell_mm},
            )
        )
    return findings


def check_overlay(i: int, label: str, planned: OverlayPlan) -> list[Finding]:
    """An overlay in one piece that would have to give more than it does."""
    if planned.lies == "smooth":
        return []
    worst = max(planned.seams, key=lambda seam: seam.share)
    return [
        finding(
            "overlay_puckers" if planned.lies == "puckers" else "overlay_eased",
            "layers",
            "caution" if planned.lies == "puckers" else "advice",
            at=f"layers.plies.{i}.mounted",
            where=f"Seam {worst.seam}",
            numbers={
                "needed": worst.share,
                "gives": planned.gives,
                "z_mm": worst.z_mm,
                "opening_mm": abs(worst.opening_mm),
            },
            mend=mend(
                "mend.by_panels",
                Change(at=f"layers.plies.{i}.mounted", value="overlaid by panels"),
                cloth=label,
            )
            if planned.lies == "puckers"
            else None,
            cloth=label,
            seam=worst.seam,
        )
    ]


def _thin_fashion(layers: Layers, i: int, cloth: Cloth) -> list[Finding]:
    """A thin cloth that shows, with nothing under it: it stretches and warps as it is sewn."""
    ply = layers.plies[i]
    backed = any(other.role == "interlining" for other in layers.plies)
    if ply.role != "fashion" or cloth.thickness_mm >= _THIN_FASHION_MM or backed or ply.mounted in ("fused", "bagged"):
        return []
    carrying = layers.carrying
    plies = [ply.model_dump(mode="json") for ply in layers.plies]
    plies.insert(carrying + 1, {"role": "interlining", "cloth": "organza_silk"})
    return [
        finding(
            "thin_fashion",
            "layers",
            "advice",
            at=f"layers.plies.{i}.cloth",
            where=cloth.label,
            numbers={"thickness_mm": cloth.thickness_mm},
            mend=mend("mend.interline", Change(at="layers.plies", value=plies), cloth="silk organza"),
            cloth=cloth.label,
        )
    ]


def check_repeat(i: int, label: str, repeat: RepeatPlan) -> list[Finding]:
    """Where a stripe or motif does not meet itself, and a cloth that has neither."""
    at = f"layers.plies.{i}.matched"
    if not repeat.along_mm and not repeat.across_mm:
        return [finding("nothing_to_match", "layers", "advice", at=at, where=label, cloth=label)]
    broken = [seam for seam in repeat.seams if not seam.whole]
    if not broken:
        return []
    seams = ", ".join(seam.seam for seam in broken)
    reach = {"reach_mm": min(min(seam.high_mm, -seam.low_mm) for seam in broken)}
    return [finding("breaks_at_seams", "layers", "advice", at=at, where=label, numbers=reach, cloth=label, seams=seams)]
