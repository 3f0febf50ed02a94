"""When the pattern moves after the bones were cut: which still serve, where another goes, which are cut anew.

The bones that are there are given to the channels as an assignment (Kuhn's), fewest new bones first, then fewest cut
down, then fewest moved to another channel; OR-Tools solves it.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.boning.bones import Bone
from fuseau.craft.boning.choices import CutBone, OneHalf

_COST = {"stays": 0, "moves here": 1, "cut down": 100, "new": 10000}


class ReusedBone(Record):
    """What becomes of a channel's bone: it stays, one from another channel comes in, one is cut down, or it is new.

    `half` is named where the halves differ, else there is one for each; `from_channel` (and `from_half`) is where the
    bone was cut for; `had_mm` how long it is.
    """

    channel: str
    half: OneHalf | None
    kind_label: str
    length_mm: float
    what: Literal["stays", "moves here", "cut down", "new"]
    from_channel: str | None
    from_half: OneHalf | None
    had_mm: float | None


class BoneReuse(Record):
    """What becomes of every channel's bone, and the bones that are left over: of both halves where any names its own,
    else of one.
    """

    bones: tuple[ReusedBone, ...]
    left: tuple[CutBone, ...]
    new: int
    cut_down: int


@dataclass(frozen=True)
class Lies:
    """A bone in its channel, of the half it is named for, or of each (None)."""

    bone: Bone
    half: OneHalf | None


def reuse_cut_bones(
    bones: Sequence[Bone],
    cut: Sequence[CutBone],
    practice: Practice,
    left: Sequence[Bone] | None = None,
) -> BoneReuse | None:
    """How the cut bones serve the channels as they are now; None while none are cut.

    `left` are the bones of the left half where it has others than the right. A bone serves where it is of the kind, no
    longer than there is room for, and not so short that the edge would curl, on either half. A longer one is cut down,
    and its end closed again.
    """
    if not cut:
        return None
    halves: tuple[OneHalf | None, ...] = (None,)
    if left is not None or any(one.half for one in cut):
        halves = "right", "left"
    wanted = [
        Lies(bone, half)
        for half in halves
        for bone in (left if half == "left" and left is not None else bones)
        for _ in range(bone.count)
        if bone.length_mm > 0
    ]
    have = [
        one.model_copy(update={"half": half, "count": 1})
        for half in halves
        for one in cut
        for _ in range(one.count)
        if one.half in (None, half)
    ]
    pairs = _assigned(wanted, have, practice)
    reused = []
    for i, lies in enumerate(wanted):
        bone = lies.bone
        given = have[pairs[i]] if i in pairs else None
        what = _serves(lies, given, practice) if given else "new"
        reused.append(
            ReusedBone(
                channel=bone.channel,
                half=lies.half,
                kind_label=bone.kind_label,
                length_mm=min(bone.length_mm, given.length_mm) if given else bone.length_mm,
                what=what or "new",
                from_channel=given.channel if given else None,
                from_half=given.half if given else None,
                had_mm=given.length_mm if given else None,
            )
        )
    used = set(pairs.values())
    return BoneReuse(
        bones=tuple(reused),
        left=tuple(one for k, one in enumerate(have) if k not in used),
        new=sum(one.what == "new" for one in reused),
        cut_down=sum(one.what == "cut down" for one in reused),
    )


def _serves(lies: Lies, given: CutBone, practice: Practice) -> Literal["stays", "moves here", "cut down"] | None:
    bone = lies.bone
    if given.kind != bone.kind or given.length_mm < bone.room_mm - practice.ready_short_mm:
        return None
    if given.length_mm > bone.room_mm + 1e-6:
        return "cut down"
    return "stays" if (given.channel, given.half) == (bone.channel, lies.half) else "moves here"


def _assigned(wanted: list[Lies], have: list[CutBone], practice: Practice) -> dict[int, int]:
    """Which bone goes where: channel index → bone index."""
    from ortools.graph.python import linear_sum_assignment

    solver = linear_sum_assignment.SimpleLinearSumAssignment()
    for i, lies in enumerate(wanted):
        for k, given in enumerate(have):
            what = _serves(lies, given, practice)
            if what is not None:
                off = abs(given.length_mm - lies.bone.length_mm)
                elsewhere = (given.channel, given.half) != (lies.bone.channel, lies.half)
                solver.add_arc_with_cost(i, k, 1000 * (_COST[what] + elsewhere) + int(off))
        solver.add_arc_with_cost(i, len(have) + i, 1000 * _COST["new"])
    # bones that nobody needs go to nobody, so that both sides are as many
    for k in range(len(have)):
        for j in range(len(wanted) + len(have)):
            solver.add_arc_with_cost(len(wanted) + k, j, 0)
    if solver.solve() != solver.OPTIMAL:
        raise RuntimeError("bones could not be given to channels")
    found = {i: solver.right_mate(i) for i in range(len(wanted))}
    return {i: k for i, k in found.items() if k < len(have)}
