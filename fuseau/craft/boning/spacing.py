"""Where cloth is without a bone for too long, where channels are in each other's way, and what mends it (model, 7)."""

from collections.abc import Callable, Iterator

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.findings import Change, Finding, Mend, Message, finding, mend, message
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone, between_now, lay_bones, lay_loose
from fuseau.craft.boning.channels import Around, PanelArrays, darts_met
from fuseau.craft.boning.choices import LETTERS, Between, BoneChoices, Shaped
from fuseau.craft.pattern.pattern import seam_label

_STEP_MM = 8.0
_FROM_EDGE_MM = 15.0  # bones end clear of top line and hem; nearer than this nothing is measured
_TOUCH_MM = 0.25


class Stretch(Record):
    """The widest stretch without a bone in a panel: how wide, at which height, and from where to where it is too wide.

    `from_x_mm`, `to_x_mm` in the frame of the panel; they may lie beyond its edges, where a seam has no channel.
    """

    panel: int
    z_mm: float
    wide_mm: float
    from_x_mm: float
    to_x_mm: float
    low_mm: float
    high_mm: float


class _Spread:
    """The half garment at a grid of heights: where panels begin, and where bones lie along it."""

    def __init__(self, panels: tuple[PanelArrays, ...], around: Around) -> None:
        self.panels, self.around = panels, around
        low = min(arrays.span[0] for arrays in panels)
        high = max(arrays.span[1] for arrays in panels)
        self.z = np.arange(low, high, _STEP_MM)
        self.left = np.array([arrays.edges_at(self.z)[0] for arrays in panels])
        self.right = np.array([arrays.edges_at(self.z)[1] for arrays in panels])
        let_in = np.zeros((len(panels), len(self.z)))
        for gusset in around.gussets:
            after = gusset.seam or gusset.panel or 0
            if after < len(panels):
                let_in[after] += gusset.width_at(self.z)
        widths = self.right - self.left
        before = np.vstack([np.zeros(len(self.z)), np.cumsum(widths, axis=0)[:-1]])
        self.start = before + np.cumsum(let_in, axis=0)
        ends = [
            (max(s.cf[0, 1], s.cb[0, 1]) + _FROM_EDGE_MM, min(s.cf[-1, 1], s.cb[-1, 1]) - _FROM_EDGE_MM) for s in panels
        ]
        self.worn = np.array([(self.z > a) & (self.z < b) for a, b in ends])

    def place(self, bone: Bone) -> tuple[Array, Array]:
        """Both sides of a bone along the half garment at every height; NaN where it does not reach."""
        path = np.array(bone.path)
        x = np.interp(self.z, path[:, 1], path[:, 0], left=np.nan, right=np.nan)
        u = self.start[bone.panel - 1] + x - self.left[bone.panel - 1]
        half = bone.width_mm * bone.count / 2
        return u - half, u + half

    def stretches(self, bones: tuple[Bone, ...]) -> list[Stretch]:
        """The widest stretch of every panel that has any."""
        sides = [self.place(bone) for bone in bones]
        if self.around.front_mm:
            held = np.full(len(self.z), self.around.front_mm)
            sides.append((held, held))
        elif sides:
            first = np.nanmin(np.array([low for low, _ in sides] + [np.full(len(self.z), 1e6)]), axis=0)
            sides.append((-first, -first))  # the other half lies mirrored across CF
        lows, highs = np.array([low for low, _ in sides]), np.array([high for _, high in sides])
        order = np.argsort(np.where(np.isnan(lows), np.inf, lows), axis=0)
        lows, highs = np.take_along_axis(lows, order, 0), np.take_along_axis(highs, order, 0)
        wide = lows[1:] - highs[:-1]
        middle = (lows[1:] + highs[:-1]) / 2
        found = []
        for p in range(len(self.panels)):
            end = self.start[p] + self.right[p] - self.left[p]
            within = self.worn[p] & (middle >= self.start[p] - 1e-9) & (middle < end)
            here = np.where(within & ~np.isnan(wide), wide, -np.inf)
            if not np.isfinite(here).any():
                continue
            k, i = np.unravel_index(int(np.argmax(here)), here.shape)
            over = np.flatnonzero((here > self.around.unboned_mm).any(axis=0))
            span = (self.z[over[0]], self.z[over[-1]]) if len(over) else (self.z[i], self.z[i])
            shift = self.left[p][i] - self.start[p][i]
            found.append(
                Stretch(
                    panel=p + 1,
                    z_mm=float(self.z[i]),
                    wide_mm=float(here[k, i]),
                    from_x_mm=float(highs[k, i] + shift),
                    to_x_mm=float(lows[k + 1, i] + shift),
                    low_mm=float(span[0]),
                    high_mm=float(span[1]),
                )
            )
        return found


def unboned(panels: tuple[PanelArrays, ...], bones: tuple[Bone, ...], around: Around) -> tuple[Stretch, ...]:
    """The widest stretch of cloth without a bone in every panel, from CF to CB (model, section 7)."""
    return tuple(_Spread(panels, around).stretches(bones))


def check_spacing(
    panels: tuple[PanelArrays, ...], bones: tuple[Bone, ...], choices: BoneChoices, around: Around
) -> list[Finding]:
    """Panels with too wide a stretch, each with the channel that mends it."""
    spread = _Spread(panels, around)
    limit = around.unboned_mm
    findings = []
    for stretch in spread.stretches(bones):
        if stretch.wide_mm <= limit:
            continue
        findings.append(
            finding(
                "unboned",
                "bones",
                "caution",
                at="bones.between",
                where=f"Panel {stretch.panel}",
                numbers={"wide_mm": stretch.wide_mm, "limit_mm": limit, "z_mm": stretch.z_mm},
                mend=_mend_stretch(spread, panels, stretch, bones, choices, around),
                panel=stretch.panel,
            )
        )
    return findings


def _mend_stretch(
    spread: _Spread,
    panels: tuple[PanelArrays, ...],
    stretch: Stretch,
    bones: tuple[Bone, ...],
    choices: BoneChoices,
    around: Around,
) -> Mend | None:
    """The channels that bring a stretch under the limit; tried before they are offered."""
    panel = stretch.panel

    def mends(trial: tuple[Bone, ...]) -> bool:
        return all(
            stretch.wide_mm <= around.unboned_mm for stretch in spread.stretches(trial) if stretch.panel == panel
        )

    here = between_now(panels, choices, around)
    loose: tuple[Between | Shaped, ...] = (*here, *choices.shaped)
    taken = {channel.letter for channel in loose if channel.panel == panel}
    letters = [letter for letter in LETTERS if letter not in taken]
    arrays = spread.panels[panel - 1]
    left, right = (float(edge[0]) for edge in arrays.edges_at(np.array([stretch.z_mm])))
    fewest = int(np.ceil(stretch.wide_mm / around.unboned_mm)) - 1
    for count in range(fewest, min(fewest + 2, len(letters)) + 1):
        new = []
        for i in range(count):
            x = stretch.from_x_mm + (stretch.to_x_mm - stretch.from_x_mm) * (i + 1) / (count + 1)
            share = round(min(0.94, max(0.06, (x - left) / (right - left))), 3)
            new.append(Between(panel=panel, letter=letters[i], across=share))
        laid_new = tuple(bone for bone in (lay_loose(arrays, one, choices, around) for one in new) if bone is not None)
        if mends((*bones, *laid_new)):
            labels = " and ".join(one.label for one in new)
            value = [one.model_dump() for one in (*here, *new)]
            add = "mend.add_channel" if count == 1 else "mend.add_channels"
            return mend(add, Change(at="bones.between", value=value), channels=labels)
    for seam in (panel - 1, panel):
        if choices.on_seams.get(seam_label(seam)) == "none":
            back = {label: place for label, place in choices.on_seams.items() if label != seam_label(seam)}
            if mends(lay_bones(panels, choices.model_copy(update={"on_seams": back}), around)):
                change = Change(at="bones.on_seams", value=back)
                return mend("mend.channel_on_seam", change, seam=seam_label(seam))
    if around.gussets and not choices.over_gussets:
        over = choices.model_copy(update={"over_gussets": True})
        if mends(lay_bones(panels, over, around)):
            return mend("mend.over_gussets", Change(at="bones.over_gussets", value=True))
    return None


# --- clashes -----------------------------------------------------------------------------------------------


class _Clashes:
    """What the maker's channels run into: edges, opening, lacing edge, darts, each other."""

    def __init__(
        self, panels: tuple[PanelArrays, ...], bones: tuple[Bone, ...], around: Around, needs_mm: float
    ) -> None:
        self.panels, self.bones, self.around, self.needs_mm = panels, bones, around, needs_mm

    def of(self, bone: Bone) -> Message | None:
        """What a channel meets; None where it lies clear."""
        arrays, path = self.panels[bone.panel - 1], np.array(bone.path)
        half = bone.channel_width_mm * bone.count / 2
        left, right = arrays.edges_at(path[:, 1])
        if float(np.min(right - left)) < 2 * half:
            return message("clash.wider_than_panel", panel=bone.panel)
        if darts_met(arrays, path, max(half, self.around.practice.point_clear_mm)):
            return message("clash.dart")
        to_left, to_right = float(np.min(path[:, 0] - left)), float(np.min(right - path[:, 0]))
        if min(to_left, to_right) < half - 0.5:
            return message("clash.leaves_panel", panel=bone.panel)
        last = len(self.panels)
        if bone.panel == last and to_right < half + self.needs_mm - _TOUCH_MM:
            return message("clash.lacing_edge" if self.around.laced else "clash.behind")
        if bone.panel == 1 and self.around.front_mm and to_left < half + self.around.front_mm:
            return message("clash.front")
        return self._neighbour(bone, half, to_left, to_right)

    def _neighbour(self, bone: Bone, half: float, to_left: float, to_right: float) -> Message | None:
        from shapely.geometry import LineString

        line = LineString(bone.path)
        for other in self.bones:
            if other.channel == bone.channel:
                continue
            apart = half + other.channel_width_mm * other.count / 2 - _TOUCH_MM
            if other.panel == bone.panel and line.distance(LineString(other.path)) < apart:
                return message("clash.channel", other=other.channel)
            if other.place == "seam" and other.panel == bone.panel - 1 and to_left < apart:
                low, high = other.path[0][1], other.path[-1][1]
                if any(low <= z <= high for _, z in bone.path):
                    return message("clash.channel", other=other.channel)
        return None


def check_clashes(
    panels: tuple[PanelArrays, ...], bones: tuple[Bone, ...], choices: BoneChoices, around: Around, needs_mm: float
) -> list[Finding]:
    """Channels between seams, beside them and shaped that are in the way of something, each with what mends it."""
    clashes = _Clashes(panels, bones, around, needs_mm)
    findings = []
    for bone in bones:
        if bone.place not in ("between", "shaped", "beside seam") or bone.room_mm <= 0:
            continue
        said = clashes.of(bone)
        if said is not None:
            findings.append(
                finding(
                    "channels_clash",
                    "bones",
                    "caution",
                    at=f"bones.{bone.own}" if bone.own else None,
                    where=bone.channel,
                    numbers={"across_mm": bone.channel_width_mm * bone.count},
                    mend=_mend_clash(clashes, bone, choices, panels),
                    said=said.code,
                    channel=bone.channel,
                    also=said.given,
                )
            )
    return findings


def _mend_clash(clashes: _Clashes, bone: Bone, choices: BoneChoices, panels: tuple[PanelArrays, ...]) -> Mend | None:
    """The nearest place where a channel lies clear; else one bone instead of two; else without it."""
    around = clashes.around
    if bone.place == "beside seam" and bone.seam is not None:
        label = seam_label(bone.seam)
        if bone.seam == around.open_seam or bone.seam in around.joined:  # nothing can lie in the seam itself
            return mend("mend.no_bone_beside", Change(at=f"bones.on_seams.{label}", value="none"), seam=label)
        return mend("mend.on_seam", Change(at=f"bones.on_seams.{label}", value="on"), seam=label)
    here: tuple[Between | Shaped, ...] = between_now(panels, choices, around)
    field = "between"
    if bone.place == "shaped":
        here, field = choices.shaped, "shaped"
    index = next((i for i, one in enumerate(here) if one.label == bone.channel), None)
    if index is None:
        return None
    arrays = clashes.panels[bone.panel - 1]
    moved = _first_clear(clashes, _moved_about(here[index]), lambda one: lay_loose(arrays, one, choices, around))
    if moved is not None:
        value = [movement.model_dump() for movement in (*here[:index], moved, *here[index + 1 :])]
        return mend("mend.move_clear", Change(at=f"bones.{field}", value=value), channel=bone.channel)
    left = [one.model_dump() for one in (*here[:index], *here[index + 1 :])]
    return mend("mend.leave_out", Change(at=f"bones.{field}", value=left), channel=bone.channel)


def _moved_about(channel: Between | Shaped) -> Iterator[Between | Shaped]:
    """The channel at places ever further from where it is."""
    for by in sorted(np.arange(-0.9, 0.91, 0.03), key=abs):
        if isinstance(channel, Between):
            share = round(channel.across + float(by), 3)
            if 0.05 <= share <= 0.95:
                yield channel.model_copy(update={"across": share})
        else:
            shares = [round(point.across + float(by), 3) for point in channel.points]
            if all(0.05 <= share <= 0.95 for share in shares):
                points = tuple(
                    point.model_copy(update={"across": share})
                    for point, share in zip(channel.points, shares, strict=True)
                )
                yield channel.model_copy(update={"points": points})


def _first_clear(
    clashes: _Clashes, options: Iterator[Between | Shaped], lay: Callable[[Between | Shaped], Bone | None]
) -> Between | Shaped | None:
    for option in options:
        bone = lay(option)
        if bone is not None and clashes.of(bone) is None:
            return option
    return None
