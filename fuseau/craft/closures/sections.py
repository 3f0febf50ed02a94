"""Sections to scale: through the lacing edge, and through a channel (model, sections 7 and 9).

x goes from the fold, or from the middle of the channel, y from the outside of the garment inward, mm.
"""

from collections.abc import Iterable, Sequence
from typing import Literal

from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone, EdgeLayout
from fuseau.craft.materials.catalogue import BoneKind, GrommetKind
from fuseau.craft.plies.methods import SeamMade
from fuseau.craft.plies.reckoning import Lying

_ROUND_MM = 4.0  # cloth drawn on each side of a channel
_SEAM_MM = 10.0  # and of a seam
_LAP_MM = 7.0

SectionWhat = Literal[
    "overlay", "fashion", "interlining", "strength", "lining", "tape", "bone", "flange", "hole", "stitch"
]


class SectionPart(Record):
    """A rectangle of a section: what it is, its left and its outer side, its size, mm."""

    what: SectionWhat
    label: str
    x_mm: float
    y_mm: float
    width_mm: float
    height_mm: float


class Section(Record):
    """A cut through the garment, to scale."""

    title: Message
    width_mm: float
    height_mm: float
    parts: tuple[SectionPart, ...]


def section_key(bone: Bone) -> str:
    """Bones with the same key have the same section."""
    return f"{bone.kind}/{bone.made}/{bone.count}"


class _Pile:
    """Plies from the outside inward over a width."""

    def __init__(self, x: float, width: float) -> None:
        self.x, self.width, self.y = x, width, 0.0
        self.parts: list[SectionPart] = []

    def ply(self, what: SectionWhat, label: str, thick: float) -> None:
        if thick > 0:
            self.parts.append(
                SectionPart(what=what, label=label, x_mm=self.x, y_mm=self.y, width_mm=self.width, height_mm=thick)
            )
            self.y += thick

    def plies(self, plies: Iterable[Lying]) -> None:
        for ply in plies:
            self.ply(ply.role, ply.label, ply.mm)

    def bones(self, middles: Sequence[float], kind: BoneKind) -> None:
        for middle in middles:
            self.parts.append(
                SectionPart(
                    what="bone",
                    label=kind.label,
                    x_mm=middle - kind.width_mm / 2,
                    y_mm=self.y,
                    width_mm=kind.width_mm,
                    height_mm=kind.thickness_mm,
                )
            )


def _shell(plies: Sequence[Lying]) -> list[Lying]:
    """What is in the seams: not what hangs loose inside, or lies over it in one piece."""
    return [ply for ply in plies if ply.where == "shell"]


def _inside(plies: Sequence[Lying]) -> list[Lying]:
    return [ply for ply in plies if ply.where == "inside"]


def _over(plies: Sequence[Lying]) -> list[Lying]:
    return [ply for ply in plies if ply.where == "over"]


def _around(plies: Sequence[Lying]) -> tuple[list[Lying], list[Lying]]:
    """What lies outside a channel between the plies, and inside it: the strength ply and all over it; the rest."""
    carrying = next(i for i, ply in enumerate(plies) if ply.role == "strength")
    return list(plies[: carrying + 1]), list(plies[carrying + 1 :])


def _stitches(places: Sequence[float], height: float) -> list[SectionPart]:
    return [
        SectionPart(what="stitch", label="stitching", x_mm=x - 0.15, y_mm=0, width_mm=0.3, height_mm=height)
        for x in places
    ]


def edge_section(
    plies: Sequence[Lying],
    kinds: tuple[BoneKind, BoneKind],
    counts: tuple[int, int],
    widths: tuple[float, float],
    layout: EdgeLayout,
    hole: GrommetKind,
) -> Section:
    """Through the lacing edge at a hole: shell, bones and grommet, the shell folded back, lining. `widths`: channels.

    Outer and inner bone in that order, as in `lacing_edge_layout`.
    """
    pile = _Pile(0.0, layout.needs_mm)
    shell = [ply for ply in plies if ply.turned_back]
    pile.plies([*_over(plies), *shell])
    for kind, count, wide, place in zip(kinds, counts, widths, (layout.outer_mm, layout.inner_mm), strict=True):
        pile.bones([place + (i - (count - 1) / 2) * wide for i in range(count)], kind)
    pile.y += max(kind.thickness_mm for kind in kinds)
    pile.plies(shell[::-1])
    pile.plies(ply for ply in plies if ply.where != "over" and not ply.turned_back)
    height = pile.y
    at = layout.holes_mm
    metal = [
        SectionPart(
            what="flange",
            label=hole.label,
            x_mm=at - hole.flange_mm / 2,
            y_mm=y,
            width_mm=hole.flange_mm,
            height_mm=hole.height_mm,
        )
        for y in (-hole.height_mm, height)
    ]
    bore = SectionPart(
        what="hole", label="hole", x_mm=at - hole.hole_mm / 2, y_mm=0, width_mm=hole.hole_mm, height_mm=height
    )
    lines = [
        place + side * count * wide / 2
        for place, count, wide in zip((layout.outer_mm, layout.inner_mm), counts, widths, strict=True)
        for side in (-1, 1)
    ]
    return Section(
        title=message("section.edge"),
        width_mm=layout.needs_mm,
        height_mm=height,
        parts=(*pile.parts, *_stitches(lines, height), bore, *metal),
    )


def channel_section(bone: Bone, kind: BoneKind, plies: Sequence[Lying], practice: Practice) -> Section:
    """Through a channel with its bone (or two): plies from the outside inward, tape and stitching."""
    wide = bone.count * bone.channel_width_mm
    strip = bone.strip_mm or wide
    whole = max(wide, strip) + 2 * _ROUND_MM
    pile = _Pile(-whole / 2, whole)
    tape = _Pile(-strip / 2, strip)
    middles = [(i - (bone.count - 1) / 2) * bone.channel_width_mm for i in range(bone.count)]
    shell, loose = _shell(plies), _inside(plies)
    if bone.made == "outside tape":
        tape.ply("tape", "tape", practice.channel_tape_mm)
        pile.y = tape.y
        pile.bones(middles, kind)
        pile.y += kind.thickness_mm
        pile.plies(plies)
    elif bone.made == "between plies":
        outer, inner = _around(plies)
        pile.plies(outer)
        pile.bones(middles, kind)
        pile.y += kind.thickness_mm
        pile.plies(inner)
    else:
        pile.plies([*_over(plies), *shell])
        pile.bones(middles, kind)
        pile.y += kind.thickness_mm
        if bone.made == "in the allowances":
            pile.plies(shell[::-1])
        else:
            tape.y = pile.y
            tape.ply("tape", "tape", practice.channel_tape_mm)
            pile.y = tape.y
        pile.plies(loose)
    return Section(
        title=message(f"section.{bone.made.replace(' ', '_')}"),
        width_mm=whole,
        height_mm=pile.y,
        parts=(*pile.parts, *tape.parts, *_stitches(bone.lines_mm, pile.y)),
    )


def seam_section(plies: Sequence[Lying], seam: SeamMade, allowance_mm: float) -> Section:
    """Through a panel seam: plies from the outside inward, and what of them is pressed open, turned or lapped."""
    pile = _Pile(-_SEAM_MM, 2 * _SEAM_MM)
    shell, loose = _shell(plies), _inside(plies)
    piled, lines, shown = [pile], [0.0], min(allowance_mm, _SEAM_MM - 1)
    if seam == "opened":
        pile.plies([*_over(plies), *shell])
        pressed = _Pile(-shown, 2 * shown)
        pressed.y = pile.y
        pressed.plies(shell[::-1])
        pile.y = pressed.y
        pile.plies(loose)
        piled.append(pressed)
    elif seam == "lapped":
        pile.plies([*_over(plies), *shell])
        lap = _Pile(0.0, _LAP_MM)
        lap.y = pile.y
        for turned in (shell[::-1], shell, shell[::-1]):
            lap.plies(turned)
        piled.append(lap)
        pile.y = lap.y
        pile.plies(loose)
        lines = [1.0, _LAP_MM - 1.0]
    else:
        outer, inner = _around([ply for ply in plies if ply.where != "over"])
        pile.plies([*_over(plies), *outer])
        shut = _Pile(0.0, shown)
        shut.y = pile.y
        shut.plies([*outer[::-1], *inner[::-1]])
        piled.append(shut)
        pile.y = shut.y
        pile.plies(inner)
    return Section(
        title=message(f"section.seam_{seam}"),
        width_mm=2 * _SEAM_MM,
        height_mm=pile.y,
        parts=(*(part for one in piled for part in one.parts), *_stitches(lines, pile.y)),
    )
