"""What is free on the panels of a planned garment, for motifs and work over areas (model, section 15)."""

from fuseau.craft.trims.areas import PanelRoom, panel_room, place_of
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.trims import CLEAR_MM, hardware_of


def free_of(
    build: Build, planned: Plan, wide_mm: float, high_mm: float
) -> tuple[tuple[PanelRoom, ...], tuple[int, ...]]:
    """What is free on each panel of the right half, and the panels on which a motif of a size has room."""
    pattern, holes = planned.pattern, planned.holes
    if pattern is None:
        return (), ()
    rooms, fits = [], []
    for panel in pattern.panels:
        heights = (holes.z_mm, holes.inset_mm, holes.flange_mm) if holes else None
        hardware = hardware_of(panel, pattern.panels, planned.bones, heights, planned.opening)
        room, shape = panel_room(panel, hardware, CLEAR_MM)
        rooms.append(room)
        if place_of(shape, wide_mm, high_mm) is not None:
            fits.append(panel.number)
    return tuple(rooms), tuple(fits)
