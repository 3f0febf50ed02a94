"""Bones: kinds kept in the catalogue, and bones written down as cut."""

from collections.abc import Mapping, Sequence
from datetime import date
from typing import Any

from fuseau.commands.fields import change
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit
from fuseau.craft.boning.bones import Bone
from fuseau.craft.boning.choices import CutBone, OneHalf
from fuseau.craft.boning.cutting_stock import CuttingPlan
from fuseau.craft.materials.catalogue import entry_key
from fuseau.craft.stock.cut_choices import CutChoices, CutDone, Used
from fuseau.craft.stock.stock import Stock
from fuseau.document.build import Build
from fuseau.document.shelf import Shelf
from fuseau.planning.plan import Plan

BONES_CUT = "all_bones"  # among what is cut, beside the cloths
_WORTH_MM = 60.0  # a shorter rest of a bone serves nowhere


def keep_kind(build: Build, given: Mapping[str, Any], unit: Unit) -> Build:
    """The build with a kind of bone in its catalogue: a new one, or another version of the one it names.

    Raises pydantic.ValidationError with the place of what is wrong, below `catalogue.bones.<name>`.
    """
    name = given.get("name") or entry_key(str(given.get("label") or "bone"), build.bone_kinds)
    return change(build, [Change(at=f"catalogue.bones.{name}", value={**given, "name": name})], unit)


def cut_bones(
    build: Build,
    planned: Plan,
    plans: Sequence[CuttingPlan] = (),
    shelf: Shelf | None = None,
    build_id: str = "",
    on: date | None = None,
) -> Build:
    """The bones of the plan, of each half where they differ, written down as cut: later changes are held against them.

    What `plans` cut from the `shelf` is written down as used, with the rests that go back on it. Raises Unmakeable
    while there are none.
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
    made = build.model_copy(update={"bones": build.bones.model_copy(update={"cut": bones, "cut_version": version})})
    used = _used(plans, shelf, build_id) if shelf is not None else ()
    if not used or on is None:
        return made
    done = CutDone(on=on, version=version, pieces=sum(bone.count for bone in bones), used=used)
    return made.model_copy(update={"cut": _with_done(made, {**build.cut.done, BONES_CUT: done})})


def uncut_bones(build: Build) -> Build:
    """The build as if no bones had been cut: what they were cut from lies on the shelf again."""
    left = {name: done for name, done in build.cut.done.items() if name != BONES_CUT}
    bones = build.bones.model_copy(update={"cut": (), "cut_version": None})
    return build.model_copy(update={"bones": bones, "cut": _with_done(build, left)})


def _with_done(build: Build, done: Mapping[str, CutDone]) -> CutChoices:
    return build.cut.model_copy(update={"done": dict(done)})


def _used(plans: Sequence[CuttingPlan], shelf: Shelf, build_id: str) -> tuple[Used, ...]:
    """The pieces of the shelf that are cut, the build's own first, then free ones; each with what is left of it."""
    number = shelf.numbered
    taken: dict[str, list[float]] = {}
    for plan in plans:
        for piece in plan.pieces:
            if piece.source != "shelf":
                continue
            for stock, free in shelf.for_build(build_id):
                rests = taken.get(stock.id, [])
                if stock.is_bone(plan.kind, piece.length_mm) and len(rests) + 1 <= free:
                    taken[stock.id] = [*rests, piece.rest_mm]
                    break
    found = []
    for stock_id, rests in taken.items():
        stock = shelf.piece(stock_id)
        kept: list[Stock] = []
        if len(rests) < stock.count:
            left = stock.count - len(rests)
            kept.append(stock.model_copy(update={"count": left, "cost": round(stock.cost * left / stock.count, 2)}))
        for rest in rests:
            if rest >= _WORTH_MM:
                number += 1
                end = {"id": f"s{number}", "count": 1, "length_mm": round(rest, 1), "cost": 0.0, "note": "left over"}
                kept.append(stock.model_copy(update=end))
        found.append(Used(stock=stock, rests=tuple(kept)))
    return tuple(found)
