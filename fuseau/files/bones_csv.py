"""The bones of a build as CSV."""

from collections.abc import Iterator

from fuseau.craft.base.lengths import Unit
from fuseau.craft.boning.bones import Bone
from fuseau.files.sheets import write_sheet
from fuseau.planning.plan import Plan


def bones_csv(planned: Plan, unit: Unit) -> bytes:
    """Every bone, a row each: half, channel, kind, lengths, widths, how its channel is made."""
    head = ("half", "channel", "kind", "count", "length mm", f"length {unit}", "width mm", "thickness mm", "channel mm",
            "channel made", "tape mm")  # fmt: skip
    return write_sheet(head, _bone_rows(planned, unit))


def _bone_rows(planned: Plan, unit: Unit) -> Iterator[list[str]]:
    halves: list[tuple[str, tuple[Bone, ...]]] = [("each", planned.bones)]
    if planned.left is not None:
        halves = [("right", planned.bones), ("left", planned.left.bones)]
    for half, bones in halves:
        for one in bones:
            yield [
                half,
                one.channel,
                one.kind_label,
                str(one.count * (2 if half == "each" else 1)),
                f"{one.length_mm:g}",
                f"{one.length_mm / (25.4 if unit == 'in' else 10):.2f}",
                f"{one.width_mm:g}",
                f"{one.thickness_mm:g}",
                f"{one.channel_width_mm:g}",
                one.made,
                "" if one.strip_mm is None else f"{one.strip_mm:g}",
            ]
