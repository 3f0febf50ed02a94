"""The schools of boning side by side, and the cutting of the bones: both worked out when they are asked for."""

from collections.abc import Callable, Mapping, Sequence

from fuseau.craft.base.findings import Change
from fuseau.craft.base.record import Record
from fuseau.craft.boning.cutting_stock import CuttingPlan, Wanted, plan_cutting
from fuseau.craft.boning.totals import Boning
from fuseau.craft.materials.catalogue import SCHOOLS, BoneName, School
from fuseau.craft.stock.stock import Stock
from fuseau.document.build import Build
from fuseau.planning.cache import StageCache
from fuseau.planning.pipeline import plan_boning
from fuseau.planning.plan import Plan


class SchoolEffect(Record):
    """What one way to bone the garment does: how the gap bows, how stiff, heavy, dear and slow it is.

    `chosen`: the build is boned so. `changes` make it so.
    """

    name: str
    why: str
    chosen: bool
    bow_mm: float
    edge_n_m2: float
    boning: Boning
    changes: tuple[Change, ...]


def schools(
    build: Build, cache: StageCache, tell: Callable[[float], None] = lambda share: None
) -> tuple[SchoolEffect, ...]:
    """Every school, and first the build's own choice where it is none of them; each planned through to the gap.

    `cache` has to hold as many results of a stage as there are schools. Empty while nothing is drafted.
    `tell` hears which share is done.
    """
    found = []
    if not any(build.bones.is_of(school) for school in SCHOOLS):
        found.append(_effect("as chosen", "your own choice, channel by channel", build, cache, True, ()))
    for k, school in enumerate(SCHOOLS):
        tell(k / len(SCHOOLS))
        boned = build.model_copy(update={"bones": build.bones.taught(school)})
        chosen = build.bones.is_of(school)
        found.append(_effect(school.name, school.why, boned, cache, chosen, school_changes(school)))
    return tuple(one for one in found if one is not None)


def school_changes(school: School) -> tuple[Change, ...]:
    """What makes a build boned as a school has it, with no channel otherwise."""
    kinds = school.model_dump(exclude={"name", "why"})
    return (
        *(Change(at=f"bones.{field}", value=kind) for field, kind in kinds.items()),
        Change(at="bones.by_channel", value={}),
        Change(at="bones.every_second", value=None),
    )


def _effect(
    name: str, why: str, build: Build, cache: StageCache, chosen: bool, changes: tuple[Change, ...]
) -> SchoolEffect | None:
    boned = plan_boning(build, cache)
    if boned is None:
        return None
    return SchoolEffect(
        name=name,
        why=why,
        chosen=chosen,
        bow_mm=boned.final.shape.bow_mm,
        edge_n_m2=boned.final.edge_n_m2,
        boning=boned.boning,
        changes=changes,
    )


def cutting(
    build: Build,
    planned: Plan,
    shelf: Mapping[BoneName, Mapping[float, int]],
    tell: Callable[[float], None] = lambda share: None,
) -> tuple[CuttingPlan, ...]:
    """How the bones of both halves are cut, kind by kind, from the shelf and from what is sold (model, section 7).

    `shelf` holds by kind how many pieces there are of a length. Spares are of the longest bone of each kind. `tell`
    hears which share is done.
    """
    wanted: dict[BoneName, list[Wanted]] = {}
    lefts = planned.left.bones if planned.left else planned.bones
    for half, bones_of_half in (("R", planned.bones), ("L", lefts)):
        for bone in bones_of_half:
            for k in range(bone.count):
                label = f"{bone.channel} {half}" + (f" {k + 1}" if bone.count > 1 else "")
                if bone.length_mm > 0:
                    wanted.setdefault(bone.kind, []).append(Wanted(label=label, length_mm=bone.length_mm))
    if planned.modesty is not None:
        behind = wanted.setdefault(planned.modesty.bone, [])
        behind += [Wanted(label=f"modesty {k + 1}", length_mm=mm) for k, mm in enumerate(planned.modesty.bones_mm)]
    spares = int(build.practice.spare_bones)
    found = []
    for k, (name, bones) in enumerate(wanted.items()):
        tell(k / len(wanted))
        longest = max((bone.length_mm for bone in bones), default=0.0)
        bones += [Wanted(label=f"spare {i + 1}", length_mm=longest) for i in range(spares)]
        found.append(plan_cutting(build.bone_kinds[name], bones, shelf.get(name, {}), build.practice))
    return tuple(found)


def bones_at_hand(at_hand: Sequence[tuple[Stock, float]]) -> dict[BoneName, dict[float, int]]:
    """The bones among what a build may take from the shelf: by kind, how many there are of a length."""
    found: dict[BoneName, dict[float, int]] = {}
    for piece, free in at_hand:
        if piece.sort == "bone" and piece.length_mm is not None and free >= 1:
            lengths = found.setdefault(piece.name, {})
            lengths[piece.length_mm] = lengths.get(piece.length_mm, 0) + int(free)
    return found
