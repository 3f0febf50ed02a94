"""Strips at 1:1: every bone with its label, the front's two sides, and the punching strip of the lacing edge."""

import math
from collections import Counter

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.boning.bones import Bone
from fuseau.craft.closures.back import ModestyPanel
from fuseau.craft.closures.edge_places import along_fold
from fuseau.document.build import Build
from fuseau.files.paper import Paper
from fuseau.files.pieces import Label, Piece, Spot, Stroke, named
from fuseau.files.tiles import how_to_print, sheet_pdf
from fuseau.planning.plan import Plan
from fuseau.wording import Words
from fuseau.wording.words import capital

_TEXT_MM = 2.6
_ROUND = 8


def bones_pdf(build: Build, planned: Plan, paper: Paper, unit: Unit, *, mock_up: bool = False) -> bytes:
    """One page after the other with every bone of a half at 1:1, labelled with its channel; or a mock-up's ties.

    Raises Unmakeable while there are no bones.
    """
    pieces = bone_pieces(build, planned, unit, mock_up=mock_up)
    if not pieces:
        raise Unmakeable("bones", "print.no_bones")
    what = f"{build.bone_kinds[build.mock_up.edge_bone].label} for the mock-up" if mock_up else "bones"
    for_both = "each for both halves" if planned.left is None else "for the half that each names, else for both"
    lines = [
        f"{len(pieces)} strips, {for_both}. Lay the bone on its strip, mark, cut, write its channel on it.",
        "Eye protection when cutting steel; file and cap every cut end. Glue on tips and dip coats cure overnight.",
    ]
    return _printed(build, planned, pieces, f"{what} at 1:1", lines, paper, unit)


def bone_pieces(build: Build, planned: Plan, unit: Unit, *, mock_up: bool = False) -> list[Piece]:
    """A strip for every bone of a half: its outline with round ends, upright, and its label beside it.

    Where the halves differ each has strips of its own, but for the bones that are the same in both.
    """
    kinds = build.bone_kinds
    tie = kinds[build.mock_up.edge_bone]
    found = []
    for bone, half, ties in _by_half(planned):
        length = ties.get(bone.channel, 0.0) if mock_up else bone.length_mm
        kind = tie if mock_up else kinds[bone.kind]
        if length <= 0:
            continue
        each = f"cut {bone.count if half else 2 * bone.count}"
        name = f"{bone.channel} {half}".strip()
        text = f"{name}   {format_length(length, unit, hardware=True)}   {kind.label}   {each}"
        middle = kind.width_mm / 2
        found.append(
            Piece(
                name,
                (Stroke("cut", _rounded(kind.width_mm, length), closed=True),),
                (Label((middle + _TEXT_MM + 1.4, length / 2), text, _TEXT_MM, 90),),
                (-middle, 0.0, middle + 2 * _TEXT_MM + 1.6, length),
            )
        )
    if planned.modesty is not None and not mock_up:
        found += _behind(planned.modesty, kinds[planned.modesty.bone].width_mm, unit)
    return found


def _behind(panel: ModestyPanel, wide_mm: float, unit: Unit) -> list[Piece]:
    """The bones of the panel behind the lacing, each length once."""
    counts = Counter(panel.bones_mm)
    return [
        Piece(
            "modesty",
            (Stroke("cut", _rounded(wide_mm, length), closed=True),),
            (
                Label(
                    (wide_mm / 2 + _TEXT_MM + 1.4, length / 2),
                    f"modesty   {format_length(length, unit, hardware=True)}   {panel.bone_label}   cut {count}",
                    _TEXT_MM,
                    90,
                ),
            ),
            (-wide_mm / 2, 0.0, wide_mm / 2 + 2 * _TEXT_MM + 1.6, length),
        )
        for length, count in counts.items()
    ]


def _by_half(planned: Plan) -> list[tuple[Bone, str, dict[str, float]]]:
    """Bones with the half that they are of, "" where both have them, and what ties are cut there."""
    right, ties = planned.bones, planned.mock_up_bones_mm
    if planned.left is None:
        return [(bone, "", ties) for bone in right]

    def cut(bone: Bone) -> tuple[str, str, float, int]:
        return bone.channel, bone.kind, bone.length_mm, bone.count

    lefts = {cut(bone) for bone in planned.left.bones}
    rights = {cut(bone) for bone in right}
    found = [(bone, "" if cut(bone) in lefts else "right", ties) for bone in right]
    found += [(bone, "left", planned.left.mock_up_bones_mm) for bone in planned.left.bones if cut(bone) not in rights]
    return found


def _rounded(width: float, length: float) -> tuple[Spot, ...]:
    """An upright strip with round ends whose extremes are exactly its length apart."""
    half = min(width, length) / 2
    turns = [math.pi * i / _ROUND for i in range(_ROUND + 1)]
    low = [(-half * math.cos(a), half - half * math.sin(a)) for a in turns]
    high = [(half * math.cos(a), length - half + half * math.sin(a)) for a in turns]
    return (*low, *high)


def front_pdf(build: Build, planned: Plan, paper: Paper, unit: Unit) -> bytes:
    """Both sides of the opening at 1:1. Raises Unmakeable where nothing opens."""
    opening, busk = planned.opening, planned.busk
    if opening is None or busk is None or opening.opens_high_mm is None:
        raise Unmakeable("front.opening", "print.no_opening")
    pieces = front_pieces(planned, unit)
    say = Words(unit)
    lines = [f"{say(opening.title)}. {say(opening.why)}", *map(say, opening.cautions[:1])]
    return _printed(build, planned, pieces, "the front at 1:1", lines, paper, unit)


def front_pieces(planned: Plan, unit: Unit) -> list[Piece]:
    """Two strips, upright, y from the waist: loop side with what is sewn and left, knob side with its holes.

    Of a zip both strips show where it ends, of hooks each hook and eye, of a front lacing its holes.
    """
    opening, busk, holes = planned.opening, planned.busk, planned.holes
    assert opening is not None
    assert planned.pattern is not None
    halves = (planned.pattern.panels, planned.pattern.left_panels or planned.pattern.panels)
    sides = {"busk": ("loop side", "knob side"), "hooks": ("hooks", "eyes")}.get(opening.kind, ("right", "left"))
    found = []
    for k, side in enumerate(sides):
        width = 30.0
        low, high = opening.low_z_mm, opening.high_z_mm
        if opening.seam == 0:  # each half to its own top line and hem
            cf = halves[k][0].cf_edge
            low, high = cf[0][1], cf[-1][1]
        strokes = [
            Stroke("cut", ((0, low), (width, low), (width, high), (0, high)), closed=True),
            Stroke("waist", ((0, 0), (width, 0))),
        ]
        labels = [Label((width / 2, high - 6), side, 3), Label((width / 2, 1.2), planned.pattern.zero, 2.2)]
        if opening.kind == "busk" and busk is not None and busk.top_z_mm is not None and k == 0:
            for part in busk.intervals:
                ends = ((0.0, high - part.from_mm), (0.0, high - part.to_mm))
                strokes.append(Stroke("stitch" if part.kind == "sew" else "hole", tuple((8.0, z) for _, z in ends)))
                length = format_length(part.to_mm - part.from_mm, unit, hardware=True)
                labels.append(Label((19, (ends[0][1] + ends[1][1]) / 2 - 1), f"{part.kind} {length}", 2.2))
                strokes.append(Stroke("notch", ((4.0, ends[1][1]), (12.0, ends[1][1]))))
        elif opening.kind == "lacing" and holes is not None:
            along = (holes.right, holes.left)[k].in_front_along_mm
            strokes += [_cross(holes.inset_mm, z, holes.hole_mm) for z in along]
        elif opening.marks_z_mm:
            strokes += [_cross(8.0, z, 3.0) for z in opening.marks_z_mm]
            labels += [
                Label((20, z - 1), format_length(high - z, unit, hardware=True), 2.2) for z in opening.marks_z_mm
            ]
        elif opening.top_z_mm is not None and opening.bottom_z_mm is not None:
            for z, name in ((opening.top_z_mm, "zip begins"), (opening.bottom_z_mm, "zip ends")):
                strokes.append(Stroke("notch", ((0, z), (width, z))))
                labels.append(Label((width / 2, z + 1.2), name, 2.2))
        found.append(Piece(side, tuple(strokes), tuple(labels), (0, low, width, high)))
    return found


def holes_pdf(build: Build, planned: Plan, paper: Paper, unit: Unit) -> bytes:
    """The punching strip at 1:1. Raises Unmakeable where nothing is laced."""
    holes = planned.holes
    if holes is None:
        raise Unmakeable("back.laced", "print.no_holes")
    serves = "each side has its own" if holes.right != holes.left else "the same strip serves both sides"
    lines = [
        f"{holes.count} of {holes.label}, {holes.spares} spare. Lay the fold of the strip on the fold of the edge, its "
        f"waist on the waist; {serves}.",
        f"Die: {holes.die}. Try one on a scrap of the same layers. Eye protection; fray-stop on every hole.",
    ]
    return _printed(build, planned, hole_pieces(planned, unit), "punching strip at 1:1", lines, paper, unit)


def hole_pieces(planned: Plan, unit: Unit) -> list[Piece]:
    """The lacing edge as a strip, y along the fold from the waist, x from it: holes with flanges, waist, both bones.

    The halves have strips of their own where their edges run otherwise.
    """
    holes, pattern = planned.holes, planned.pattern
    assert holes is not None
    assert pattern is not None
    halves = [("right", holes.right, pattern.panels), ("left", holes.left, pattern.left_panels or pattern.panels)]
    strips = []
    for half, placed, panels in halves if holes.right != holes.left else halves[:1]:
        side = f", {half}" if holes.right != holes.left else ""
        for name, edge, along, heights in (
            ("lacing edge", panels[-1].cb_edge, placed.behind_along_mm, holes.z_mm),
            ("front lacing edge", panels[0].cf_edge, placed.in_front_along_mm, holes.front_z_mm),
        ):
            if along:
                low, high = along_fold(edge, (edge[0], edge[-1]))
                marks = tuple(zip(along, heights, strict=True))
                strips.append(_edge_strip(name + side, marks, low, high, planned, unit))
    return strips


def _edge_strip(
    name: str, marks: tuple[tuple[float, float], ...], low: float, high: float, planned: Plan, unit: Unit
) -> Piece:
    """A strip from `low` to `high` along the fold with each row where it lies along it, and its height beside it."""
    holes, pattern = planned.holes, planned.pattern
    assert holes is not None
    assert pattern is not None
    wide = holes.edge_layout.needs_mm + 16
    strokes = [
        Stroke("cut", ((0, low), (wide, low), (wide, high), (0, high)), closed=True),
        Stroke("waist", ((0, 0), (wide, 0))),
    ]
    for x in (holes.edge_layout.outer_mm, holes.edge_layout.inner_mm):
        strokes.append(Stroke("channel", ((x, low), (x, high))))
    for along, _ in marks:
        strokes += [_cross(holes.inset_mm, along, holes.hole_mm), _ring(holes.inset_mm, along, holes.flange_mm / 2)]
    labels = [
        Label((-2.2, (low + high) / 2), f"fold   {name}", 2.6, 90),
        Label((wide - 8, 1.2), pattern.zero, 2.2),
        *(Label((wide - 8, along - 0.9), format_length(z, unit, hardware=True, bare=True), 2.2) for along, z in marks),
    ]
    return Piece(name, tuple(strokes), tuple(labels), (-5.0, low, wide, high))


def _cross(x: float, z: float, hole: float) -> Stroke:
    """A hole as a circle with its middle marked."""
    ring = _ring(x, z, hole / 2).points
    return Stroke("hole", (*ring, ring[0], (x, z), (x, z + 1), (x, z - 1), (x, z), (x + 1, z), (x - 1, z)))


def _ring(x: float, z: float, radius: float) -> Stroke:
    turns = [2 * math.pi * i / 24 for i in range(24)]
    return Stroke("hole", tuple((x + radius * math.cos(a), z + radius * math.sin(a)) for a in turns), closed=True)


def _printed(
    build: Build, planned: Plan, pieces: list[Piece], what: str, lines: list[str], paper: Paper, unit: Unit
) -> bytes:
    """Strips on pages to be glued, with what they are on the cover."""
    version = planned.pattern.version if planned.pattern else None
    whose = f"{f'version {version}' if version else 'draft'}, for {build.wearer.name or 'the wearer'}"

    def told(pages: int) -> list[str]:
        return [
            f"{capital(what)}, {whose}",
            *lines,
            how_to_print(pages, unit),
        ]

    return sheet_pdf(pieces, named(build, planned), what, told, paper, unit)
