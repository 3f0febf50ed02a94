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
        for bone in bones:
            yield [
                half,
                bone.channel,
                bone.kind_label,
                str(bone.count * (2 if half == "each" else 1)),
                f"{bone.length_mm:g}",
                f"{bone.length_mm / (25.4 if unit == 'in' else 10):.2f}",
                f"{bone.width_mm:g}",
                f"{bone.thickness_mm:g}",
                f"{bone.channel_width_mm:g}",
                bone.made,
                "" if bone.strip_mm is None else f"{bone.strip_mm:g}",
            ]
