"""What is free on the panels of a garment, between channels, holes and what opens (model, section 15)."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from shapely.geometry.base import BaseGeometry

from fuseau.craft.boning.bones import Bone
from fuseau.craft.closures.front import Opening
from fuseau.craft.pattern.trueing import LaidPanel, Point
from fuseau.craft.trims.areas import Hardware, PanelRoom, panel_room, place_of
from fuseau.planning.plan import Holes, Plan

_CLEAR_MM = 10.0  # of a seam line, for work over an area (handbook, 7)
_BUSK_MM = 2 * 28.0
_OPENING_MM = 2 * 15.0
_LEAST_HOLE_MM = 4.0  # round its middle

Room = tuple[PanelRoom, BaseGeometry]


@dataclass(frozen=True)
class PanelHardware:
    """A half with what lies on it: its panels, bones, holes and what opens; whether it is the `left`."""

    panels: Sequence[LaidPanel]
    bones: Sequence[Bone]
    holes: Holes | None
    opening: Opening | None
    left: bool = False


def rooms_of(half: PanelHardware) -> tuple[Room, ...]:
    """What is free on every panel of a half, with its shape."""
    return tuple(panel_room(panel, _hardware_on(panel, half), _CLEAR_MM) for panel in half.panels)


def free_of(planned: Plan, wide_mm: float, high_mm: float) -> tuple[tuple[PanelRoom, ...], tuple[int, ...]]:
    """What is free on each panel of the right half, and the panels on which a motif of a size has room."""
    if planned.pattern is None:
        return (), ()
    rooms = rooms_of(PanelHardware(planned.pattern.panels, planned.bones, planned.holes, planned.opening))
    fits = tuple(room.panel for room, shape in rooms if place_of(shape, wide_mm, high_mm) is not None)
    return tuple(room for room, _ in rooms), fits


def _hardware_on(panel: LaidPanel, half: PanelHardware) -> Hardware:
    """What can't be sewn through on a panel."""
    mine = [bone for bone in half.bones if bone.panel == panel.number]
    channels = tuple((bone.path, bone.strip_mm or bone.channel_width_mm) for bone in mine)
    punched: tuple[tuple[Point, float], ...] = ()
    if half.holes is not None:
        holes = half.holes.left if half.left else half.holes.right
        around = max(_LEAST_HOLE_MM, half.holes.flange_mm / 2)
        behind = holes.behind if panel.number == len(half.panels) else ()
        in_front = holes.in_front if panel.number == 1 else ()
        punched = tuple((place, around) for place in (*behind, *in_front))
    edges = _opening_edges(half.opening, half.panels)
    bands = tuple((edge, wide) for number, edge, wide in edges if number == panel.number)
    return Hardware(channels, punched, bands)


def _opening_edges(
    opening: Opening | None, panels: Sequence[LaidPanel]
) -> Iterator[tuple[int, tuple[Point, ...], float]]:
    """The edges along which the garment opens: of which panel, and how wide what closes them is, both sides."""
    if opening is None or opening.kind == "none":
        return
    wide = _BUSK_MM if opening.kind == "busk" else _OPENING_MM
    if opening.line == "CF":
        yield 1, panels[0].cf_edge, wide
    elif opening.line == "CB":
        yield len(panels), panels[-1].cb_edge, wide
    else:
        yield opening.seam, panels[opening.seam - 1].cb_edge, wide
        if opening.seam < len(panels):
            yield opening.seam + 1, panels[opening.seam].cf_edge, wide
