"""Bones: channels, their paths, widths, and how long each bone is cut (model, section 7)."""

import math
from typing import Literal

import numpy as np
from pydantic import Field

from fuseau.craft.curves import Array, lengths_along
from fuseau.craft.findings import Change, Finding, Mend
from fuseau.craft.lengths import Unit, format_length
from fuseau.craft.notions import BONES, BoneKind, BoneName
from fuseau.craft.practice import Practice
from fuseau.craft.record import Record
from fuseau.craft.trueing import Laid, LaidPanel, Point

_STEP_MM = 12.0
_STRAIGHT_MM = 20000.0

Place = Literal["beside busk", "seam", "lacing edge outer", "lacing edge inner"]


class BoneChoices(Record):
    """Which kind lies where. `by_channel` overrides single channels, by their label."""

    lacing_edge: BoneName = "flat_12"
    seams: BoneName = "spiral_6"
    beside_busk: BoneName = "flat_6"
    by_channel: dict[str, BoneName] = Field(default_factory=dict, max_length=40)


class Bone(Record):
    """One channel of a half and the bone in it. Points are (x, z) in the frame of its panel, mm.

    `radius_mm` is the tightest edge-wise bend of its path, at `tightest_z_mm` (None: straight); `can_lie` are the kinds
    that follow it.
    """

    channel: str
    place: Place
    panel: int
    kind: BoneName
    kind_label: str
    width_mm: float
    length_mm: float
    channel_width_mm: float
    path_mm: float
    path: tuple[Point, ...]
    bone_path: tuple[Point, ...]
    radius_mm: float | None
    tightest_z_mm: float
    can_lie: tuple[BoneName, ...]


def channel_width(kind: BoneKind, wrapping_mm: float, practice: Practice) -> float:
    """Stitch to stitch, up to the half millimetre: w + t + ease + half the plies that wrap it.

    >>> channel_width(BONES["spiral_6"], 0.8, Practice())
    9.5
    """
    wanted = kind.width_mm + kind.thickness_mm + practice.bone_ease_mm + wrapping_mm / 2
    return math.ceil(round(wanted / practice.channel_step_mm, 6)) * practice.channel_step_mm


def bone_length(path_mm: float, kind: BoneKind, practice: Practice) -> float:
    """Down to the step of the path less the clearance (and cap) at each end; 0 where none fits.

    >>> bone_length(302.4, BONES["flat_6"], Practice())
    290.0
    """
    ends = 2 * (kind.clearance_mm + (practice.bone_cap_mm if kind.capped else 0))
    return max(0.0, math.floor(round((path_mm - ends) / practice.bone_step_mm, 6)) * practice.bone_step_mm)


def lacing_edge_layout(kind: BoneKind, flange_mm: float, wrapping_mm: float, practice: Practice) -> dict[str, float]:
    """Distances from the fold (the lacing edge) inward, mm: outer bone, grommet line, inner bone, all of it.

    Outward in: fold, channel, grommet line with its flange and clear cloth on both sides, channel.
    """
    channel = channel_width(kind, wrapping_mm, practice)
    outer = practice.edge_stitch_mm + channel / 2
    line = practice.edge_stitch_mm + channel + practice.flange_clear_mm + flange_mm / 2
    inner = line + flange_mm / 2 + practice.flange_clear_mm + channel / 2
    return {
        "outer": outer,
        "grommets": line,
        "inner": inner,
        "needs": inner + channel / 2 + practice.edge_stitch_mm,
    }


def edge_stiffness(kind: BoneKind, flange_mm: float, wrapping_mm: float, practice: Practice) -> float:
    """EI of one lacing edge, N·m²: its bones within reach of the edge, and the folded cloth itself."""
    layout = lacing_edge_layout(kind, flange_mm, wrapping_mm, practice)
    near = [place for place in ("outer", "inner") if layout[place] <= practice.edge_beam_mm]
    return practice.cloth_edge_n_m2 + len(near) * kind.edgewise_stiffness()


def lay_bones(
    laid: Laid,
    choices: BoneChoices,
    busk_width_mm: float | None,
    flange_mm: float,
    wrapping_mm: float,
    practice: Practice,
) -> tuple[Bone, ...]:
    """Every channel of a half from CF to CB: beside the busk, one on each seam, two at the lacing edge.

    Without a busk the front bone lies beside CF all the same, to keep it straight.
    """
    found = []
    first, last = laid.panels[0], laid.panels[-1]
    front = _kind("CF", choices.beside_busk, choices)
    offset = (busk_width_mm or 0) / 2 + channel_width(front, wrapping_mm, practice) / 2 + practice.edge_stitch_mm
    found.append(_bone("CF", "beside busk", first, front, _beside(first, offset, True), wrapping_mm, practice))
    for panel in laid.panels[:-1]:
        label = f"{panel.number}·{panel.number + 1}"
        kind = _kind(label, choices.seams, choices)
        edge = np.array(panel.cb_edge)
        bend = _bend_on_seam(edge, np.array(laid.panels[panel.number].cf_edge))
        found.append(_bone(label, "seam", panel, kind, edge, wrapping_mm, practice, bend))
    back = BONES[choices.lacing_edge]
    layout = lacing_edge_layout(back, flange_mm, wrapping_mm, practice)
    places: tuple[tuple[str, Place, str], ...] = (
        ("CB inner", "lacing edge inner", "inner"),
        ("CB outer", "lacing edge outer", "outer"),
    )
    for label, place, key in places:
        path = _beside(last, layout[key], False)
        found.append(_bone(label, place, last, _kind(label, choices.lacing_edge, choices), path, wrapping_mm, practice))
    return tuple(found)


def _kind(label: str, usual: BoneName, choices: BoneChoices) -> BoneKind:
    return BONES[choices.by_channel.get(label, usual)]


def _bone(
    label: str,
    place: Place,
    panel: LaidPanel,
    kind: BoneKind,
    path: Array,
    wrapping_mm: float,
    practice: Practice,
    bend: tuple[float, float] = (0.0, 0.0),
) -> Bone:
    curvature, tightest = bend
    radius = 1 / curvature if curvature > 1 / _STRAIGHT_MM else None
    run = lengths_along(path[:, 0], path[:, 1])
    total = float(run[-1])
    length = bone_length(total, kind, practice)
    middle = total / 2
    ends = np.linspace(middle - length / 2, middle + length / 2, max(2, len(path)))
    lying = np.column_stack([np.interp(ends, run, path[:, 0]), np.interp(ends, run, path[:, 1])])
    return Bone(
        channel=label,
        place=place,
        panel=panel.number,
        kind=kind.name,
        kind_label=kind.label,
        width_mm=kind.width_mm,
        length_mm=length,
        channel_width_mm=channel_width(kind, wrapping_mm, practice),
        path_mm=total,
        path=tuple((float(x), float(z)) for x, z in path),
        bone_path=tuple((float(x), float(z)) for x, z in lying),
        radius_mm=radius,
        tightest_z_mm=tightest,
        can_lie=tuple(one.name for one in BONES.values() if radius is None or one.least_radius_mm <= radius),
    )


def _bend_on_seam(cb_edge: Array, cf_edge: Array) -> tuple[float, float]:
    """The sharpest edge-wise curvature (1/mm) of a bone centred on a seam, and its height.

    Half of what the two edges curve the same way: edges that mirror each other bend it not at all (model, section 7).
    """
    low, high = max(cb_edge[0, 1], cf_edge[0, 1]), min(cb_edge[-1, 1], cf_edge[-1, 1])
    z = np.linspace(low, high, max(5, int((high - low) / _STEP_MM)))
    both = sum(_curvature(np.interp(z, edge[:, 1], edge[:, 0]), z) for edge in (cb_edge, cf_edge)) / 2
    inner = np.abs(np.asarray(both)[1:-1])
    at = int(np.argmax(inner))
    return float(inner[at]), float(z[1:-1][at])


def _curvature(x: Array, z: Array) -> Array:
    """Curvature of x(z), 1/mm, smoothed over three steps so that it is of the cloth and not of the sampling."""
    slope = np.gradient(x, z)
    bare = np.gradient(slope, z) / (1 + slope**2) ** 1.5
    return np.convolve(np.pad(bare, 1, mode="edge"), np.ones(3) / 3, mode="valid")


def _beside(panel: LaidPanel, offset_mm: float, from_cf: bool) -> Array:
    """A straight channel beside CF or CB (which are upright), from hem to top line, points (n, 2)."""
    edge = panel.cf_edge if from_cf else panel.cb_edge
    x = edge[0][0] + (offset_mm if from_cf else -offset_mm)
    low, high = (_height_at(line, x) for line in (panel.hem, panel.top))
    z = np.linspace(low, high, 24)
    return np.column_stack([np.full(len(z), x), z])


def _height_at(line: tuple[Point, ...], x: float) -> float:
    """Height of a top line or hem above x; beyond its ends, that of the end."""
    points = sorted(line)
    return float(np.interp(x, [p[0] for p in points], [p[1] for p in points]))


def check_bones(bones: tuple[Bone, ...], last_panel: LaidPanel, needs_mm: float, unit: Unit) -> list[Finding]:
    """Channels too short for any bone, and a back panel too narrow for its lacing edge."""
    findings = []
    for bone in bones:
        if bone.length_mm < 30:
            findings.append(
                Finding(
                    code="channel_too_short",
                    stage="bones",
                    severity="caution",
                    where=bone.channel,
                    sentence=f"The channel {bone.channel} is {format_length(bone.path_mm, unit, hardware=True)} long: "
                    "too short for a bone.",
                    numbers={"path_mm": bone.path_mm},
                )
            )
    findings += [_stiff(bone, unit) for bone in bones if bone.kind not in bone.can_lie and bone.length_mm >= 30]
    narrowest = min(right[0] - left[0] for left, right in zip(last_panel.cf_edge, last_panel.cb_edge, strict=False))
    if narrowest < needs_mm:
        findings.append(
            Finding(
                code="lacing_edge_too_wide",
                stage="back",
                severity="caution",
                where=f"Panel {last_panel.number}",
                sentence=f"The lacing edge needs {format_length(needs_mm, unit, hardware=True)} from the fold to the "
                f"last line of stitching; panel {last_panel.number} is "
                f"{format_length(narrowest, unit, hardware=True)} at its narrowest.",
                numbers={"needs_mm": needs_mm, "narrowest_mm": narrowest},
            )
        )
    return findings


def _stiff(bone: Bone, unit: Unit) -> Finding:
    """A bone that does not follow its channel, with a kind that does."""
    kind = BONES[bone.kind]
    follows = [name for name in bone.can_lie if name != "cable_tie_8"]
    best: BoneName = follows[0] if follows else "spiral_6"
    better = BONES[best]
    return Finding(
        code="bone_wont_bend",
        stage="bones",
        severity="caution",
        at=f"bones.by_channel.{bone.channel}",
        where=bone.channel,
        sentence=f"The channel {bone.channel} bends to a radius of {format_length(bone.radius_mm or 0, unit)}, at "
        f"{format_length(bone.tightest_z_mm, unit)}; {kind.label} follows {format_length(kind.least_radius_mm, unit)} "
        "at the tightest, and would twist or wear through.",
        numbers={"radius_mm": bone.radius_mm or 0.0, "least_mm": kind.least_radius_mm},
        mend=Mend(
            label=f"{better.label[0].upper()}{better.label[1:]} in {bone.channel}",
            changes=(Change(at=f"bones.by_channel.{bone.channel}", value=best),),
        ),
    )
