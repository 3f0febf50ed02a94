"""Channels: where bones lie on the flat half garment, along which path, and how the channel is made (model, section 7).

Paths are points (x, z) from hem to top line in the frame of their panel, mm.
"""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field
from functools import cached_property
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import Array, carried_on, hermite, lengths_along, parallel
from fuseau.craft.base.practice import Practice
from fuseau.craft.boning.choices import LETTERS, Between, Shaped
from fuseau.craft.materials.catalogue import BONES, BoneKind, BoneName
from fuseau.craft.materials.stack import Stack
from fuseau.craft.pattern.pattern import Gusset
from fuseau.craft.pattern.trueing import Laid, LaidPanel, Point
from fuseau.craft.plies.methods import ChannelMade

ChannelPlace = Literal[
    "beside the opening",
    "front edge outer",
    "front edge inner",
    "seam",
    "beside seam",
    "between",
    "shaped",
    "lacing edge inner",
    "lacing edge outer",
    "beside CB",
]

_TURN_MM = 12.0  # curvature is how far a path turns over so much, so that it is of the cloth and not of the sampling
_CHORD_MM = 6.0  # and its heading is that of so long a chord
_STEP_MM = 3.0
_END_MM = 12.0  # how an edge runs at its end is seen over so much
_DRAWN_MM = 5.0
_REACH_MM = 60.0
_NEAR_MM = 25.0


@dataclass(frozen=True)
class Around:
    """What channels lie among: cloth, grommets, the front, and the seams' doings.

    `front_mm` is how far what closes the front reaches from CF (half a busk); `front_laced` tells that lacing does. On
    the seam `open_seam` (0: none) a zip or hooks reach `seam_mm` to each side. A back that is not `laced` is a seam, or
    what closes it reaches `back_mm` from CB. `light` garments only support, and may
    have wider stretches without a bone.
    """

    stack: Stack = field(default_factory=Stack)
    flange_mm: float = 10.0
    front_mm: float = 0.0
    front_laced: bool = False
    open_seam: int = 0
    seam_mm: float = 0.0
    laced: bool = True
    back_mm: float = 0.0
    front_panels: int = 3
    gussets: tuple[Gusset, ...] = ()
    joined: tuple[int, ...] = ()
    light: bool = False
    practice: Practice = field(default_factory=Practice)
    kinds: Mapping[BoneName, BoneKind] = field(default_factory=lambda: BONES)

    def wraps_mm(self, made: ChannelMade) -> float:
        """Thickness of the plies that wrap a bone in a channel so made, mm."""
        plies = self.stack.total_mm - self.stack.lining_mm
        if made == "between plies":
            return plies
        return 2 * plies if made == "in the allowances" else plies + self.practice.channel_tape_mm

    @property
    def unboned_mm(self) -> float:
        """The widest stretch of cloth that may go without a bone."""
        return self.practice.unboned_light_mm if self.light else self.practice.unboned_mm


@dataclass(frozen=True)
class Channel:
    """A channel before there is a bone in it. `bend` is its sharpest edge-wise curvature (1/mm), and where.

    `seam` is the number of the seam it belongs to; `own` the field of the choices that it comes from, if it is the
    maker's. `path_for` lays the path anew for a bone of another kind, where the width of a bone moves it (None: not).
    """

    label: str
    place: ChannelPlace
    panel: int
    path: Array
    bend: tuple[float, float]
    seam: int | None = None
    across: float | None = None
    own: str | None = None
    path_for: Callable[[BoneKind], Array] | None = None


class PanelArrays:
    """A laid panel as arrays, with what channels need of it; `after` is the next toward CB, None for the last."""

    def __init__(self, panel: LaidPanel, after: "PanelArrays | None") -> None:
        self.panel, self.after = panel, after
        self.cf, self.cb = np.array(panel.cf_edge), np.array(panel.cb_edge)
        self.top, self.hem = (np.array(sorted(line)) for line in (panel.top, panel.hem))

    @cached_property
    def seam_bend(self) -> tuple[float, float]:
        """The sharpest curvature of a bone centred on the seam to the next panel, and its height; CB is straight."""
        return (0.0, 0.0) if self.after is None else bend_on_seam(self.cb, self.after.cf)

    @cached_property
    def span(self) -> tuple[float, float]:
        """The lowest and the highest it reaches, mm."""
        return float(self.hem[:, 1].min()), float(self.top[:, 1].max())

    def edges_at(self, z: Array) -> tuple[Array, Array]:
        """x of both edges at heights; beyond an edge's ends it goes straight on, so that nothing between them kinks."""
        return _straight_on(self.cf, z), _straight_on(self.cb, z)

    def across(self, share: float | Array, z: Array) -> Array:
        """x at a share of the width, at heights."""
        left, right = self.edges_at(z)
        return np.asarray(left + share * (right - left))

    def inside(self, points: Array) -> Array:
        """How far points lie inside hem and top line, mm; negative outside."""
        x, z = points[:, 0], points[:, 1]
        above_hem = z - np.interp(x, self.hem[:, 0], self.hem[:, 1])
        below_top = np.interp(x, self.top[:, 0], self.top[:, 1]) - z
        return np.minimum(above_hem, below_top)

    def clip(self, points: Array, low: float | None = None, high: float | None = None) -> Array:
        """The stretch of a path between hem and top line (and between two heights), sampled evenly; may be empty."""
        run = lengths_along(points[:, 0], points[:, 1])
        fine = np.linspace(0, run[-1], max(8, int(run[-1] / _DRAWN_MM) + 1))
        path = np.column_stack([np.interp(fine, run, points[:, 0]), np.interp(fine, run, points[:, 1])])
        room = self.inside(path)
        if low is not None:
            room = np.minimum(room, path[:, 1] - low)
        if high is not None:
            room = np.minimum(room, high - path[:, 1])
        held = np.flatnonzero(room >= 0)
        if len(held) < 2:
            return np.zeros((0, 2))
        first, last = int(held[0]), int(held[-1])
        ends = []
        for here, beyond in ((first, first - 1), (last, last + 1)):
            if 0 <= beyond < len(path) and room[here] - room[beyond] > 1e-9:
                share = room[here] / (room[here] - room[beyond])
                ends.append(path[here] + share * (path[beyond] - path[here]))
            else:
                ends.append(path[here])
        return np.vstack([ends[0], path[first + 1 : last], ends[1]])


def panel_arrays(laid: Laid) -> tuple[PanelArrays, ...]:
    """The panels of a laid half as arrays, from CF to CB."""
    in_frame: list[PanelArrays] = []
    for panel in reversed(laid.panels):
        in_frame.insert(0, PanelArrays(panel, in_frame[0] if in_frame else None))
    return tuple(in_frame)


def beside(arrays: PanelArrays, offset_mm: float, from_cf: bool) -> Array:
    """A path at a distance inside one edge of a panel, from hem to top line, (n, 2)."""
    edge = arrays.cf if from_cf else arrays.cb
    return arrays.clip(carried_on(parallel(edge, offset_mm if from_cf else -offset_mm), _REACH_MM))


def _straight_on(edge: Array, z: Array) -> Array:
    """x of a rising edge at heights, carried on beyond its ends as it runs there."""
    low, high = edge[0, 1], edge[-1, 1]
    array = np.interp(z, edge[:, 1], edge[:, 0])
    reach = min(_END_MM, (high - low) / 2)
    if reach <= 0:
        return array
    starts, ends = (float(np.interp(at, edge[:, 1], edge[:, 0])) for at in (low + reach, high - reach))
    array = array + np.minimum(z - low, 0.0) * (starts - edge[0, 0]) / reach
    return np.asarray(array + np.maximum(z - high, 0.0) * (edge[-1, 0] - ends) / reach)


def between_path(arrays: PanelArrays, channel: Between) -> Array:
    """The path of a channel between seams, from hem to top line or as far as it goes, (n, 2)."""
    low, high = arrays.span
    z = np.linspace(low - 5, high + 5, max(12, int((high - low) / _DRAWN_MM)))
    path = np.column_stack([arrays.across(channel.across, z), z])
    return arrays.clip(path, channel.from_mm, channel.to_mm)


def shaped_path(arrays: PanelArrays, channel: Shaped) -> Array:
    """A smooth path through the points of a shaped channel, (n, 2).

    An end that is near hem or top line goes on to it; nothing goes past them.
    """
    z = np.array([point.z_mm for point in channel.points])
    share = np.array([point.across for point in channel.points])
    spots = np.column_stack([arrays.across(share, z), z])
    steps = np.diff(spots, axis=0)
    chords = np.hypot(steps[:, 0], steps[:, 1])
    ways = steps / chords[:, None]
    tangents = [ways[0]]
    for k in range(1, len(spots) - 1):
        blended = ways[k - 1] * chords[k] + ways[k] * chords[k - 1]
        tangents.append(blended / np.hypot(*blended))
    tangents.append(ways[-1])
    pieces = [hermite(spots[k], spots[k + 1], tangents[k], tangents[k + 1], 14) for k in range(len(spots) - 1)]
    path = np.vstack([pieces[0], *(piece[1:] for piece in pieces[1:])])
    near = arrays.inside(path[[0, -1]]) < _NEAR_MM
    before = [path[0] - _NEAR_MM * tangents[0]] if near[0] else []
    after = [path[-1] + _NEAR_MM * tangents[-1]] if near[1] else []
    return arrays.clip(np.vstack([*before, path, *after]))


def bend_of(path: Array) -> tuple[float, float]:
    """The sharpest curvature of a path in the flat (1/mm), and its height: how far its tangent turns over 12 mm.

    Nothing is averaged beyond that: a chord of 40 mm with 0.47 mm of rise is a radius of 426 mm, whatever its
    neighbours do (model, section 7).
    """
    if len(path) < 4:
        return 0.0, float(path[0, 1]) if len(path) else 0.0
    run = lengths_along(path[:, 0], path[:, 1])
    most = float(run[-1]) - _TURN_MM - _CHORD_MM
    if most <= 0:
        return 0.0, float(path[len(path) // 2, 1])
    at = np.arange(0.0, most + 1e-9, _STEP_MM)

    def heading(s: Array) -> Array:
        """The way of the chord from s on."""
        x = np.interp(s + _CHORD_MM, run, path[:, 0]) - np.interp(s, run, path[:, 0])
        z = np.interp(s + _CHORD_MM, run, path[:, 1]) - np.interp(s, run, path[:, 1])
        return np.asarray(np.arctan2(z, x))

    turn = np.abs(heading(at + _TURN_MM) - heading(at))
    turn = np.minimum(turn, 2 * np.pi - turn) / _TURN_MM
    where = int(np.argmax(turn))
    return float(turn[where]), float(np.interp(at[where] + (_TURN_MM + _CHORD_MM) / 2, run, path[:, 1]))


def bend_on_seam(cb_edge: Array, cf_edge: Array) -> tuple[float, float]:
    """The sharpest edge-wise curvature (1/mm) over 12 mm of a bone centred on a seam, and its height.

    Half of what the two edges curve the same way: edges that mirror each other bend it not at all (model, section 7).
    """
    low, high = max(cb_edge[0, 1], cf_edge[0, 1]), min(cb_edge[-1, 1], cf_edge[-1, 1])
    if high - low <= _TURN_MM + _CHORD_MM:
        return 0.0, float(low + high) / 2
    z = np.arange(low, high - _TURN_MM - _CHORD_MM + 1e-9, _STEP_MM)
    both = (_turning(cb_edge, z) + _turning(cf_edge, z)) / 2
    at = int(np.argmax(np.abs(both)))
    return float(abs(both[at])), float(z[at] + (_TURN_MM + _CHORD_MM) / 2)


def _turning(edge: Array, z: Array) -> Array:
    """Signed curvature of an edge (1/mm) over 12 mm from each height on."""

    def lean(height: Array) -> Array:
        ahead = np.interp(height + _CHORD_MM, edge[:, 1], edge[:, 0])
        return np.asarray(np.arctan((ahead - np.interp(height, edge[:, 1], edge[:, 0])) / _CHORD_MM))

    first, last = lean(z), lean(z + _TURN_MM)
    return np.asarray((last - first) * np.cos((first + last) / 2) / _TURN_MM)


def at_gussets(path: Array, seam: int, around: Around, over: bool) -> Array:
    """A seam's path, stopped short of the points of the gussets in it, unless it is to go over them."""
    if over:
        return path
    clear = around.practice.point_clear_mm
    for gusset in around.gussets:
        if gusset.seam != seam or len(path) < 2:
            continue
        if gusset.end == "top":
            path = _between_heights(path, -np.inf, gusset.tip_mm - clear)
        else:
            path = _between_heights(path, gusset.tip_mm + clear, np.inf)
    return path


def _between_heights(path: Array, low: float, high: float) -> Array:
    """A rising path between two heights, cut off exactly there."""
    z = path[:, 1]
    if low >= z[-1] or high <= z[0]:
        return path[:0]
    low, high = max(low, float(z[0])), min(high, float(z[-1]))
    ends = [(float(np.interp(at, z, path[:, 0])), at) for at in (low, high)]
    return np.vstack([ends[0], path[(z > low) & (z < high)], ends[1]])


def usual_between(
    panels: tuple[PanelArrays, ...], around: Around, insets: Mapping[int, tuple[float, float]]
) -> tuple[Between, ...]:
    """Channels between seams as this garment usually has them: in every panel so many that no stretch is too wide.

    `insets` of a panel are where the first and the last bone in it lie, from its edges. They keep clear of darts.
    """
    found = []
    for arrays in panels:
        low, high = arrays.span
        z = np.linspace(low + 20, high - 20, 24)
        left, right = arrays.edges_at(z)
        widest = float(np.max(right - left))
        start, end = (inset / widest for inset in insets.get(arrays.panel.number, (0.0, 0.0)))
        count = min(len(LETTERS), int(np.ceil(widest * (1 - start - end) / around.unboned_mm)) - 1)
        shares = [start + (1 - start - end) * (i + 1) / (count + 1) for i in range(count)]
        clear = [one for one in (_clear_of_darts(arrays, share, around) for share in shares) if one is not None]
        found += [
            Between(panel=arrays.panel.number, letter=LETTERS[i], across=round(share, 3))
            for i, share in enumerate(clear)
        ]
    return tuple(found)


def _clear_of_darts(arrays: PanelArrays, share: float, around: Around) -> float | None:
    """The share nearest to the wish at which a channel meets no dart; None if there is none."""
    if not arrays.panel.darts and not arrays.panel.slashes:
        return share
    options = sorted(np.linspace(0.08, 0.92, 43), key=lambda one: abs(float(one) - share))
    for option in (share, *options):
        channel = Between(panel=arrays.panel.number, letter="a", across=round(float(option), 3))
        if not darts_met(arrays, between_path(arrays, channel), around.practice.point_clear_mm):
            return float(option)
    return None


def darts_met(arrays: PanelArrays, path: Array, clear_mm: float) -> list[tuple[Point, ...]]:
    """The darts and slashes of a panel that a path comes nearer to than so much."""
    slashes = arrays.panel.slashes
    if not (arrays.panel.darts or slashes) or len(path) < 2:
        return []
    from shapely.geometry import LineString, Polygon

    line = LineString(path)
    met = [dart for dart in arrays.panel.darts if line.distance(Polygon(dart)) < clear_mm]
    return met + [slash for slash in slashes if line.distance(LineString(slash)) < clear_mm]
