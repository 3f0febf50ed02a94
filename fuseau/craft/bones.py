"""Bones: channels, their paths, widths, and how long each bone is cut (model, section 7)."""

import math
from typing import Literal

import numpy as np
from pydantic import Field

from fuseau.craft.curves import Array, lengths_along
from fuseau.craft.findings import Finding
from fuseau.craft.lengths import Unit, format_length
from fuseau.craft.notions import BONES, BoneKind, BoneName
from fuseau.craft.practice import Practice
from fuseau.craft.record import Record
from fuseau.craft.trueing import Laid, LaidPanel, Point

Place = Literal["beside busk", "seam", "lacing edge outer", "lacing edge inner"]


class BoneChoices(Record):
    """Which kind lies where. `by_channel` overrides single channels, by their label."""

    lacing_edge: BoneName = "flat_12"
    seams: BoneName = "spiral_6"
    beside_busk: BoneName = "flat_6"
    by_channel: dict[str, BoneName] = Field(default_factory=dict, max_length=40)


class Bone(Record):
    """One channel of a half and the bone in it. Points are (x, z) in the frame of its panel, mm."""

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
        found.append(_bone(label, "seam", panel, kind, np.array(panel.cb_edge), wrapping_mm, practice))
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
) -> Bone:
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
    )


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
