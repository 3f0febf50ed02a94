"""An edit of the pattern by hand in a few words, for the list of what was changed."""

from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.pattern.hand_edits import (
    AddDart,
    AddGusset,
    DropInsert,
    DropPoint,
    DropSeam,
    HandEdit,
    JoinSeam,
    LaySeam,
    MovePoint,
    MoveSeam,
    PartHalves,
    SetAllowance,
    SetWidth,
    ShapeLine,
    SplitPanel,
    TrimEdge,
    place_name,
)
from fuseau.craft.pattern.pattern import End, seam_label
from fuseau.craft.wearer.measures import LEVEL_LABELS


def hand_edit(change: HandEdit, unit: Unit) -> str:
    """What was edited, where, by how much."""
    where = "" if getattr(change, "side", "both") == "both" else f", {change.side} half"  # type: ignore[union-attr]
    match change:
        case SetWidth():
            return (
                f"panel {change.panel} {format_length(change.width_mm, unit)} wide at the "
                f"{LEVEL_LABELS[change.level].lower()}{where}"
            )
        case MoveSeam():
            seam, by = seam_label(change.seam), format_length(abs(change.amount_mm), unit, hardware=True)
            if change.how == "shift":
                return f"seam {seam} {by} toward {'CB' if change.amount_mm > 0 else 'CF'}{where}"
            return f"seam {seam} {'let out' if change.amount_mm > 0 else 'taken in'} by {by} on each edge{where}"
        case LaySeam():
            most = max((shift.amount_mm for shift in change.shifts), key=abs)
            by = format_length(abs(most), unit, hardware=True)
            return f"seam {seam_label(change.seam)} laid up to {by} toward {'CB' if most > 0 else 'CF'}{where}"
        case TrimEdge():
            off = format_length(abs(change.amount_mm), unit, hardware=True)
            how = "trimmed off" if change.amount_mm >= 0 else "left on"
            hem = None if change.hem_mm is None else format_length(abs(change.hem_mm), unit, hardware=True)
            to = "" if hem is None else f", {hem} at the hem"
            return f"{off} {how} at {change.edge}{to}{where or ', on each half'}"
        case MovePoint():
            height = format_length(change.z_mm, unit)
            return f"{_line(change.end)} at {place_name(change.place)} to {height}{where}"
        case DropPoint():
            return f"{_line(change.end)}: a point taken out{where}"
        case ShapeLine():
            return f"{_line(change.end)}: {change.shape}"
        case SplitPanel():
            return f"panel {change.panel} cut in two"
        case DropSeam():
            return f"panels {change.seam} and {change.seam + 1} joined"
        case AddGusset():
            wide = format_length(change.width_mm, unit)
            into = f"panel {change.panel}" if change.seam is None else f"seam {seam_label(change.seam)}"
            fullness = ", its fullness from the seams beside it" if change.from_seams else ""
            return f"gusset of {wide} in {into} from the {change.end}{fullness}"
        case AddDart():
            return f"dart of {format_length(change.width_mm, unit)} in panel {change.panel}"
        case DropInsert():
            return f"{change.what} {change.index + 1} taken out"
        case JoinSeam():
            return f"seam {seam_label(change.seam)} {'stitched as a dart' if change.joined else 'cut again'}"
        case SetAllowance():
            return f"allowance of seam {seam_label(change.seam)}"
        case PartHalves():
            return "left half of its own" if change.differ else "both halves the same"


def _line(end: End) -> str:
    return "top line" if end == "top" else "hem"
