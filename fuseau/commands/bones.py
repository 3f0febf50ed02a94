"""Bones: kinds kept in the catalogue, and bones written down as cut."""

from collections.abc import Mapping
from typing import Any

from fuseau.commands.fields import change
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit
from fuseau.craft.boning.bones import Bone
from fuseau.craft.boning.choices import CutBone, OneHalf
from fuseau.craft.materials.catalogue import entry_key
from fuseau.document.build import Build
from fuseau.planning.plan import Plan


def keep_kind(build: Build, given: Mapping[str, Any], unit: Unit) -> Build:
    """The build with a kind of bone in its catalogue: a new one, or another version of the one it names.

    Raises pydantic.ValidationError with the place of what is wrong, below `catalogue.bones.<name>`.
    """
    name = given.get("name") or entry_key(str(given.get("label") or "bone"), build.bone_kinds)
    return change(build, [Change(at=f"catalogue.bones.{name}", value={**given, "name": name})], unit)


def cut_bones(build: Build, planned: Plan) -> Build:
    """The bones of the plan, of each half where they differ, written down as cut: later changes are held against them.

    Raises Unmakeable while there are none.
    """
    halves: list[tuple[OneHalf | None, tuple[Bone, ...]]] = [(None, planned.bones)]
    if planned.left:
        halves = [("right", planned.bones), ("left", planned.left.bones)]
    bones = tuple(
        CutBone(channel=bone.channel, half=half, kind=bone.kind, length_mm=bone.length_mm, count=bone.count)
        for half, lying in halves
        for bone in lying
        if bone.length_mm > 0
    )
    if not bones:
        raise Unmakeable("bones.cut", "bones.none_to_cut")
    version = build.current.number if build.current else None
    return build.model_copy(update={"bones": build.bones.model_copy(update={"cut": bones, "cut_version": version})})
