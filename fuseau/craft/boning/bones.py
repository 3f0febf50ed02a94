"""Bones: what lies in each channel, how wide the channel is sewn, and how long the bone is cut (model, section 7)."""

import math
from collections.abc import Mapping

import numpy as np

from fuseau.craft.base.curves import Array, lengths_along
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.boning.channels import (
    Around,
    Channel,
    ChannelPlace,
    PanelArrays,
    at_gussets,
    bend_of,
    beside,
    between_path,
    shaped_path,
    usual_between,
)
from fuseau.craft.boning.choices import Between, BoneChoices, SeamPlace, Shaped
from fuseau.craft.materials.catalogue import BoneKind, BoneName, Look
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.trueing import Point
from fuseau.craft.plies.methods import ChannelMade

_STRAIGHT_MM = 20000.0
_NEAR_SHARE = 0.15
_WISHED_STEP_MM = 1.0
_LEAST_BONE_MM = 20.0


class Bone(Record):
    """One channel of a half and the bone in it (`count`: or the two side by side). Points are (x, z) of its panel, mm.

    `radius_mm` is the tightest edge-wise bend of its path, at `tightest_z_mm` (None: straight); `can_lie` are the kinds
    that follow it. `strip_mm` is how wide a tape lies over the channel, finished, and `lines_mm` its lines of
    stitching from the middle. `room_mm` is the longest that would fit; a ready-cut bone may be shorter.
    """

    channel: str
    place: ChannelPlace
    panel: int
    kind: BoneName
    kind_label: str
    drawn: Look
    width_mm: float
    thickness_mm: float
    length_mm: float
    count: int
    channel_width_mm: float
    path_mm: float
    room_mm: float
    path: tuple[Point, ...]
    bone_path: tuple[Point, ...]
    radius_mm: float | None
    tightest_z_mm: float
    can_lie: tuple[BoneName, ...]
    made: ChannelMade
    strip_mm: float | None
    strip_cut_mm: float | None
    lines_mm: tuple[float, ...]
    seam: int | None
    across: float | None
    own: str | None
    swapped: bool


def channel_width(kind: BoneKind, wrapping_mm: float, practice: Practice) -> float:
    """Stitch to stitch, up to the half millimetre: w + t + ease + half the plies that wrap it.

    >>> from fuseau.craft.materials.catalogue import BONES
    >>> channel_width(BONES["spiral_6"], 0.8, Practice())
    9.5
    """
    wanted = kind.width_mm + kind.thickness_mm + practice.bone_ease_mm + wrapping_mm / 2
    return math.ceil(round(wanted / practice.channel_step_mm, 6)) * practice.channel_step_mm


def bone_room(path_mm: float, kind: BoneKind, practice: Practice, clear_mm: float | None = None) -> float:
    """The longest bone that fits: down to the step of the path less the clearance (and cap) at each end; 0 for none.

    A clearance that is wished (`clear_mm`) is kept to the millimetre, whatever the step.

    >>> from fuseau.craft.materials.catalogue import BONES
    >>> bone_room(302.4, BONES["flat_6"], Practice())
    290.0
    >>> bone_room(302.4, BONES["flat_6"], Practice(), 20)
    260.0
    """
    clear = kind.clearance_mm if clear_mm is None else clear_mm
    step = practice.bone_step_mm if clear_mm is None else min(practice.bone_step_mm, _WISHED_STEP_MM)
    ends = 2 * (clear + (practice.bone_cap_mm if kind.capped else 0))
    return max(0.0, math.floor(round((path_mm - ends) / step, 6)) * step)


def bone_length(path_mm: float, kind: BoneKind, practice: Practice, clear_mm: float | None = None) -> float:
    """The bone that goes in: as long as there is room; of what is sold ready-cut, the longest that fits."""
    room = bone_room(path_mm, kind, practice, clear_mm)
    if kind.sold != "ready-cut":
        return room
    return max((length for length in kind.lengths_mm if length <= room), default=0.0)


class EdgeLayout(Record):
    """Where things lie at a lacing edge, mm from the fold inward: bones by their middle, the line of holes, its end."""

    outer_mm: float
    holes_mm: float
    inner_mm: float
    needs_mm: float


def lacing_edge_layout(
    kind: BoneKind,
    flange_mm: float,
    wrapping_mm: float,
    practice: Practice,
    inner: BoneKind | None = None,
    counts: tuple[int, int] = (1, 1),
) -> EdgeLayout:
    """What lies between the fold of a lacing edge and the end of what it needs.

    Outward in: fold, channel, grommet line with its flange and clear cloth on both sides, channel. `counts` are the
    bones side by side in the outer and the inner channel.
    """
    wide = counts[0] * channel_width(kind, wrapping_mm, practice)
    narrow = counts[1] * channel_width(inner or kind, wrapping_mm, practice)
    line = practice.edge_stitch_mm + wide + practice.flange_clear_mm + flange_mm / 2
    middle = line + flange_mm / 2 + practice.flange_clear_mm + narrow / 2
    return EdgeLayout(
        outer_mm=practice.edge_stitch_mm + wide / 2,
        holes_mm=line,
        inner_mm=middle,
        needs_mm=middle + narrow / 2 + practice.edge_stitch_mm,
    )


def edge_stiffness(
    kind: BoneKind,
    flange_mm: float,
    wrapping_mm: float,
    practice: Practice,
    inner: BoneKind | None = None,
    counts: tuple[int, int] = (1, 1),
) -> float:
    """EI of one lacing edge, N·m²: its bones by how near they lie to the fold, and the folded cloth itself.

    A bone counts whole up to `edge_beam_mm` from the fold, and fades to nothing half as far again. Another bone never
    takes away from it, even where it pushes the others inward (model, section 3: stiffness of an edge).
    """
    found = 0.0
    for outer in range(1, counts[0] + 1):
        for inside in range(1, counts[1] + 1):
            layout = lacing_edge_layout(kind, flange_mm, wrapping_mm, practice, inner, (outer, inside))
            each = ((layout.outer_mm, kind, outer), (layout.inner_mm, inner or kind, inside))
            bones = sum(
                count * one.edgewise_stiffness() * _near_edge(place, practice.edge_beam_mm)
                for place, one, count in each
            )
            found = max(found, bones)
    return practice.cloth_edge_n_m2 + found


def _near_edge(from_fold_mm: float, whole_mm: float) -> float:
    """By what share a bone counts so far from the fold: smoothly from 1 at `whole_mm` to 0 half as far again."""
    past = min(max((from_fold_mm - whole_mm) / (0.5 * whole_mm), 0.0), 1.0)
    return 1 - past**2 * (3 - 2 * past)


def edge_bones(choices: BoneChoices, kinds: Mapping[BoneName, BoneKind]) -> tuple[BoneKind, BoneKind, tuple[int, int]]:
    """What lies at the lacing edge: outer kind, inner kind, and how many of each side by side."""
    names = [choices.by_channel.get(label, choices.lacing_edge) for label in ("CB outer", "CB inner")]
    counts = [2 if label in choices.doubled else 1 for label in ("CB outer", "CB inner")]
    return kinds[names[0]], kinds[names[1]], (counts[0], counts[1])


def edge_layout(choices: BoneChoices, around: Around) -> EdgeLayout:
    """The layout of the lacing edge (`lacing_edge_layout`) with the bones that are chosen for it."""
    outer, inner, counts = edge_bones(choices, around.kinds)
    wraps = around.wraps_mm("between plies")
    return lacing_edge_layout(outer, around.flange_mm, wraps, around.practice, inner, counts)


def front_offset(choices: BoneChoices, around: Around) -> float:
    """How far from CF the bone beside the opening lies, mm."""
    kind = around.kinds[choices.by_channel.get("CF", choices.beside_busk)]
    wide = channel_width(kind, around.wraps_mm(_made("CF", choices)), around.practice)
    return around.front_mm + wide * (2 if "CF" in choices.doubled else 1) / 2 + around.practice.edge_stitch_mm


def back_offset(choices: BoneChoices, around: Around) -> float:
    """How far from CB the bone beside it lies where the back is not laced, mm."""
    kind = around.kinds[choices.by_channel.get("CB", choices.beside_busk)]
    wide = channel_width(kind, around.wraps_mm(_made("CB", choices)), around.practice)
    return around.back_mm + wide * (2 if "CB" in choices.doubled else 1) / 2 + around.practice.edge_stitch_mm


def between_now(panels: tuple[PanelArrays, ...], choices: BoneChoices, around: Around) -> tuple[Between, ...]:
    """The channels between seams: the maker's, or the usual ones of such a garment."""
    if choices.between is not None:
        return choices.between
    start = edge_layout(choices, around).inner_mm if around.front_laced else front_offset(choices, around)
    insets = {1: (start, 0.0)}
    for number in range(1, len(panels)):
        place = _seam_place(number, choices, around)
        kind = _kind(seam_label(number), "beside seam", number, choices, around)
        beside_it = _beside_seam(kind, seam_label(number), number, choices, around)
        if place in ("CF side", "both sides"):
            insets[number] = (insets.get(number, (0.0, 0.0))[0], beside_it)
        if place in ("CB side", "both sides"):
            insets[number + 1] = (beside_it, 0.0)
    behind = edge_layout(choices, around).inner_mm if around.laced else back_offset(choices, around)
    insets[len(panels)] = (insets.get(len(panels), (0.0, 0.0))[0], behind)
    return usual_between(panels, around, insets)


def lay_bones(panels: tuple[PanelArrays, ...], choices: BoneChoices, around: Around) -> tuple[Bone, ...]:
    """Every channel of a half from CF to CB, and the bone in it.

    Beside the opening (or two at a front lacing edge), on or beside each seam, between seams, shaped, and two at the
    lacing edge, or one beside CB where that is not laced. Channels of panels that are no longer there are left out
    (`check_lost` tells).
    """
    found = [_bone(channel, choices, around) for channel in _front(panels[0], choices, around)]
    loose: tuple[Between | Shaped, ...] = (*between_now(panels, choices, around), *choices.shaped)
    for arrays in panels:
        number = arrays.panel.number
        here = [channel for channel in loose if channel.panel == number]
        for one in sorted(here, key=lambda one: one.across if isinstance(one, Between) else one.points[0].across):
            found.append(_bone(_loose(arrays, one, choices), choices, around))
        if number < len(panels):
            found += _on_seam(panels, number, choices, around)
    found += [_bone(channel, choices, around) for channel in _back(panels[-1], choices, around)]
    return tuple(bone for bone in found if bone is not None)


def _back(arrays: PanelArrays, choices: BoneChoices, around: Around) -> list[Channel]:
    last = arrays.panel.number
    if around.laced:
        layout = edge_layout(choices, around)
        return [
            Channel(
                label="CB inner",
                place="lacing edge inner",
                panel=last,
                path=beside(arrays, layout.inner_mm, from_cf=False),
                bend=(0.0, 0.0),
            ),
            Channel(
                label="CB outer",
                place="lacing edge outer",
                panel=last,
                path=beside(arrays, layout.outer_mm, from_cf=False),
                bend=(0.0, 0.0),
            ),
        ]
    if choices.on_seams.get("CB") == "none":
        return []
    path = beside(arrays, back_offset(choices, around), from_cf=False)
    return [Channel(label="CB", place="beside CB", panel=last, path=path, bend=bend_of(path))]


def lay_loose(arrays: PanelArrays, between: Between | Shaped, choices: BoneChoices, around: Around) -> Bone | None:
    """One channel between seams, or shaped, and the bone in it; None where none of it lies on the panel."""
    return _bone(_loose(arrays, between, choices), choices, around)


def _front(arrays: PanelArrays, choices: BoneChoices, around: Around) -> list[Channel]:
    if around.front_laced:
        layout = edge_layout(choices, around)
        return [
            Channel(
                label="CF outer",
                place="front edge outer",
                panel=1,
                path=beside(arrays, layout.outer_mm, from_cf=True),
                bend=(0.0, 0.0),
            ),
            Channel(
                label="CF inner",
                place="front edge inner",
                panel=1,
                path=beside(arrays, layout.inner_mm, from_cf=True),
                bend=(0.0, 0.0),
            ),
        ]
    if choices.on_seams.get("CF") == "none":
        return []
    path = beside(arrays, front_offset(choices, around), from_cf=True)
    return [Channel(label="CF", place="beside the opening", panel=1, path=path, bend=(0.0, 0.0))]


def _loose(arrays: PanelArrays, between: Between | Shaped, choices: BoneChoices) -> Channel:
    if isinstance(between, Between):
        path = between_path(arrays, between)
        own = f"between.{choices.between.index(between)}" if choices.between and between in choices.between else None
        return Channel(
            label=between.label,
            place="between",
            panel=between.panel,
            path=path,
            bend=bend_of(path),
            across=between.across,
            own=own,
        )
    path = shaped_path(arrays, between)
    own = f"shaped.{choices.shaped.index(between)}" if between in choices.shaped else None
    return Channel(
        label=between.label,
        place="shaped",
        panel=between.panel,
        path=path,
        bend=bend_of(path),
        across=between.points[0].across,
        own=own,
    )


def _on_seam(panels: tuple[PanelArrays, ...], number: int, choices: BoneChoices, around: Around) -> list[Bone | None]:
    """The channels of one seam: on it, beside it, or none; where panels are joined, beside the line of the dart."""
    label = seam_label(number)
    wish = _seam_place(number, choices, around)
    if wish == "none":
        return []
    before, after = panels[number - 1], panels[number]
    over = choices.over_gussets
    if wish == "on":
        path = at_gussets(before.cb, number, around, over)
        channel = Channel(label=label, place="seam", panel=number, path=path, bend=before.seam_bend, seam=number)
        return [_bone(channel, choices, around)]
    found = []
    sides = {"CF side": ("CF side",), "CB side": ("CB side",), "both sides": ("CF side", "CB side")}[wish]
    for side in sides:
        name = label if wish != "both sides" else f"{label} {side[:2]}"
        toward_cb = side == "CB side"

        def path_for(kind: BoneKind, name: str = name, toward_cb: bool = toward_cb) -> Array:
            offset = _beside_seam(kind, name, number, choices, around)
            path = beside(after if toward_cb else before, offset, from_cf=toward_cb)
            return at_gussets(path, number, around, over)

        path = path_for(_kind(name, "beside seam", number, choices, around))
        panel = number + 1 if toward_cb else number
        channel = Channel(
            label=name, place="beside seam", panel=panel, path=path, bend=bend_of(path), seam=number, path_for=path_for
        )
        found.append(_bone(channel, choices, around))
    return found


def _seam_place(number: int, choices: BoneChoices, around: Around) -> SeamPlace:
    """Where the channel of a seam lies: as wished; beside one that is joined or opens, for nothing can lie in that."""
    wish = choices.on_seams.get(seam_label(number), "CB side" if number in around.joined else "on")
    return "both sides" if number == around.open_seam and wish == "on" else wish


def _beside_seam(kind: BoneKind, name: str, number: int, choices: BoneChoices, around: Around) -> float:
    """How far from a seam the middle of a channel beside it lies with a bone of a kind, mm."""
    wide = channel_width(kind, around.wraps_mm(_made(name, choices)), around.practice)
    opens = around.seam_mm if number == around.open_seam else 0.0
    return opens + around.practice.strip_margin_mm + wide * (2 if name in choices.doubled else 1) / 2


def in_a_fold(label: str) -> bool:
    """Whether a channel is one of a folded lacing edge, by its label: it always lies between the plies."""
    return label.startswith("CB ") or label in ("CF outer", "CF inner")


def _made(label: str, choices: BoneChoices) -> ChannelMade:
    """How a channel is made."""
    if in_a_fold(label):
        return "between plies"
    return choices.made_by_channel.get(label, choices.made)


def _kind(label: str, place: ChannelPlace, seam: int | None, choices: BoneChoices, around: Around) -> BoneKind:
    """The kind that is meant to lie in a channel, before its bend is asked."""
    if label in choices.by_channel:
        return around.kinds[choices.by_channel[label]]
    if place in ("lacing edge outer", "lacing edge inner", "front edge outer", "front edge inner"):
        return around.kinds[choices.lacing_edge]
    if place in ("beside the opening", "beside CB"):
        return around.kinds[choices.beside_busk]
    if place in ("between", "shaped"):
        return around.kinds[choices.between_seams or choices.seams]
    if seam == around.front_panels:
        return around.kinds[choices.sides or choices.seams]
    turn = choices.every_second if seam is not None and seam % 2 == 0 else None
    return around.kinds[turn or choices.seams]


def _bone(channel: Channel, choices: BoneChoices, around: Around) -> Bone | None:
    """The bone of a channel; where its kind can't follow and none was asked for just there, the one for curves."""
    practice, label = around.practice, channel.label
    if len(channel.path) < 2:
        return None
    kind = meant = _kind(label, channel.place, channel.seam, choices, around)
    tightest = channel.bend[1]
    radius = _radius(channel.bend)
    curved = around.kinds[choices.curved] if choices.curved else None
    swapped = (
        radius is not None
        and curved is not None
        and label not in choices.by_channel
        and radius < kind.least_radius_mm
        and curved.least_radius_mm < kind.least_radius_mm
    )
    if swapped and curved is not None:
        kind = curved
    made = _made(label, choices)
    count = 2 if label in choices.doubled else 1
    wide = channel_width(kind, around.wraps_mm(made), practice)
    taped = made in ("inside tape", "outside tape")
    strip = count * wide + 2 * practice.strip_margin_mm if taped else None
    path = channel.path
    run = lengths_along(path[:, 0], path[:, 1])
    total = float(run[-1])
    clear = choices.clearance_by_channel.get(label)
    if clear is not None and bone_room(total, kind, practice, clear) < _LEAST_BONE_MM:
        most = max(0.0, math.floor((total - _LEAST_BONE_MM) / 2 - practice.bone_cap_mm))
        at = f"bones.clearance_by_channel.{label}"
        raise Unmakeable(at, "clearance_too_much", channel=label, path_mm=total, clear_mm=clear, most_mm=most)
    length = bone_length(total, kind, practice, clear)
    middle = total / 2
    ends = np.linspace(middle - length / 2, middle + length / 2, max(2, len(path)))
    lying = np.column_stack([np.interp(ends, run, path[:, 0]), np.interp(ends, run, path[:, 1])])
    return Bone(
        channel=label,
        place=channel.place,
        panel=channel.panel,
        kind=kind.name,
        kind_label=kind.label,
        drawn=kind.stuff.drawn,
        width_mm=kind.width_mm,
        thickness_mm=kind.thickness_mm,
        length_mm=length,
        count=count,
        channel_width_mm=wide,
        path_mm=total,
        room_mm=bone_room(total, kind, practice, clear),
        path=_points(path),
        bone_path=_points(lying),
        radius_mm=radius,
        tightest_z_mm=tightest,
        can_lie=_kinds_that_follow(channel, meant, around),
        made=made,
        strip_mm=strip,
        strip_cut_mm=None if strip is None else strip + 2 * practice.strip_turning_mm,
        lines_mm=tuple((i - count / 2) * wide for i in range(count + 1)),
        seam=channel.seam,
        across=channel.across,
        own=channel.own,
        swapped=swapped,
    )


def _radius(bend: tuple[float, float]) -> float | None:
    """The radius of a sharpest curvature, mm; None: straight."""
    return 1 / bend[0] if bend[0] > 1 / _STRAIGHT_MM else None


def _kinds_that_follow(channel: Channel, meant: BoneKind, around: Around) -> tuple[BoneName, ...]:
    """The kinds that bend as the channel does that is sewn for them: a wider bone beside a seam lies further from it.

    The radius of a path moved sideways changes by as much as it is moved; only a kind near the limit is laid anew.
    """
    here = _radius(channel.bend)
    if channel.path_for is None:
        return tuple(kind.name for kind in around.kinds.values() if here is None or kind.least_radius_mm <= here)
    found = []
    for kind in around.kinds.values():
        least, radius = kind.least_radius_mm, here
        moved = abs(kind.width_mm + kind.thickness_mm - meant.width_mm - meant.thickness_mm)
        if moved > 0 and here is not None and abs(least - here) < _NEAR_SHARE * here + 3 * moved:
            path = channel.path_for(kind)
            radius = _radius(bend_of(path)) if len(path) >= 2 else None
        if radius is None or least <= radius:
            found.append(kind.name)
    return tuple(found)


def _points(array: Array) -> tuple[Point, ...]:
    return tuple(map(tuple, np.round(array, 3).tolist()))


def cable_ties(bones: tuple[Bone, ...], around: Around, name: BoneName) -> dict[str, float]:
    """How long a mock-up's bone (a cable tie) is cut for each channel, mm."""
    return {bone.channel: bone_room(bone.path_mm, around.kinds[name], around.practice) for bone in bones}
