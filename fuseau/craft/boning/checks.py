"""What is odd about bones: too short, too stiff, sold too short, wrongly made; each with what mends it (model, 7)."""

from collections.abc import Sequence

from fuseau.craft.base.findings import Change, Finding, Mend, finding, mend
from fuseau.craft.boning.bones import Bone, edge_layout, lacing_edge_layout
from fuseau.craft.boning.channels import Around
from fuseau.craft.boning.choices import BoneChoices
from fuseau.craft.materials.catalogue import BoneKind
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.trueing import LaidPanel

_LEAST_BONE_MM = 30.0


def check_bones(bones: tuple[Bone, ...], last_panel: LaidPanel, choices: BoneChoices, around: Around) -> list[Finding]:
    """Channels too short for any bone, bones that can't bend or are sold too short, a lacing edge too wide."""
    findings = []
    for bone in bones:
        if bone.room_mm < _LEAST_BONE_MM:
            findings.append(_too_short(bone, choices))
        elif around.kinds[bone.kind].sold == "ready-cut" and (
            bone.room_mm - bone.length_mm > around.practice.ready_short_mm
        ):
            findings.append(_sold_too_short(bone, around))
        if longer_than_sold(bone.length_mm, around.kinds[bone.kind]):
            findings.append(_sold_no_longer(bone, around))
        too_tight = bone.radius_mm is not None and bone.radius_mm < around.kinds[bone.kind].least_radius_mm
        if too_tight and bone.room_mm >= _LEAST_BONE_MM:
            findings.append(_stiff(bone, around))
        if bone.made == "in the allowances" and bone.place == "seam":
            findings.append(_centred_in_allowances(bone))
    return [*findings, *(_edge_too_wide(last_panel, choices, around) if around.laced else [])]


def _too_short(bone: Bone, choices: BoneChoices) -> Finding:
    out = None
    if bone.seam is not None:
        change = Change(at=f"bones.on_seams.{seam_label(bone.seam)}", value="none")
        out = mend("mend.no_bone_in", change, channel=bone.channel)
    elif bone.own is not None and choices.between is not None and bone.own.startswith("between"):
        left = [channel.model_dump() for channel in choices.between if channel.label != bone.channel]
        out = mend("mend.leave_out", Change(at="bones.between", value=left), channel=bone.channel)
    return finding(
        "channel_too_short",
        "bones",
        "caution",
        where=bone.channel,
        numbers={"path_mm": bone.path_mm},
        mend=out,
        channel=bone.channel,
    )


def _in_its_place(code: str, bone: Bone, kind: BoneKind, others: Sequence[BoneKind]) -> Mend | None:
    """The one of other kinds that is most nearly as wide, in a bone's channel; None where there is none."""
    best = min(others, key=lambda other: abs(other.width_mm - kind.width_mm), default=None)
    if best is None:
        return None
    change = Change(at=f"bones.by_channel.{bone.channel}", value=best.name)
    return mend(code, change, what=best.label, channel=bone.channel)


def _sold_too_short(bone: Bone, around: Around) -> Finding:
    """A ready-cut bone that leaves the edge to curl, with one that is cut to length instead."""
    kind = around.kinds[bone.kind]
    others = [
        one
        for one in around.kinds.values()
        if one.material == kind.material and one.sold != "ready-cut" and one.name in bone.can_lie
    ]
    return finding(
        "ready_cut_short",
        "bones",
        "caution",
        at=f"bones.by_channel.{bone.channel}",
        where=bone.channel,
        numbers={"room_mm": bone.room_mm, "length_mm": bone.length_mm},
        mend=_in_its_place("mend.cut_to_length", bone, kind, others),
        said="ready_cut_short" if bone.length_mm else "ready_cut_short.none",
        channel=bone.channel,
        bone=kind.label,
        short_mm=bone.room_mm - bone.length_mm,
        shortest_mm=min(kind.lengths_mm),
    )


def longer_than_sold(length_mm: float, kind: BoneKind) -> bool:
    """Whether a bone is longer than any piece of its kind that is sold."""
    return kind.sold == "lengths" and length_mm > max(kind.lengths_mm)


def _sold_no_longer(bone: Bone, around: Around) -> Finding:
    """A bone longer than what is sold, with the kind most like it that comes long enough."""
    kind = around.kinds[bone.kind]
    others = [
        around.kinds[name]
        for name in bone.can_lie
        if around.kinds[name].sold != "ready-cut" and not longer_than_sold(bone.length_mm, around.kinds[name])
    ]
    alike = [other for other in others if other.material == kind.material] or [
        other for other in others if not other.stuff.makeshift
    ]
    return finding(
        "bone_longer_than_sold",
        "bones",
        "caution",
        at=f"bones.by_channel.{bone.channel}",
        where=bone.channel,
        numbers={"length_mm": bone.length_mm, "longest_mm": max(kind.lengths_mm)},
        mend=_in_its_place("mend.bone_in", bone, kind, alike),
        channel=bone.channel,
        bone=kind.label,
    )


def _stiff(bone: Bone, around: Around) -> Finding:
    """A bone that does not follow its channel, with a kind that does."""
    kind = around.kinds[bone.kind]
    follows = [around.kinds[name] for name in bone.can_lie if not around.kinds[name].stuff.makeshift]
    alike = [follow for follow in follows if follow.stuff.flies == kind.stuff.flies] or follows  # what is cut alike
    return finding(
        "bone_wont_bend",
        "bones",
        "caution",
        at=f"bones.by_channel.{bone.channel}",
        where=bone.channel,
        numbers={"radius_mm": bone.radius_mm or 0.0, "least_mm": kind.least_radius_mm},
        mend=_in_its_place("mend.bone_in", bone, kind, alike),
        channel=bone.channel,
        bone=kind.label,
        z_mm=bone.tightest_z_mm,
    )


def _centred_in_allowances(bone: Bone) -> Finding:
    change = Change(at=f"bones.on_seams.{bone.channel}", value="CB side")
    return finding(
        "channel_in_allowances",
        "bones",
        "caution",
        at=f"bones.on_seams.{bone.channel}",
        where=bone.channel,
        mend=mend("mend.beside_seam", change, channel=bone.channel),
        channel=bone.channel,
    )


def _edge_too_wide(last_panel: LaidPanel, choices: BoneChoices, around: Around) -> list[Finding]:
    """A last panel that can't carry its lacing edge, with narrower bones or a single one if that mends it."""
    wraps, needs = around.wraps_mm("between plies"), edge_layout(choices, around).needs_mm
    narrowest = last_panel.narrowest_mm
    if narrowest >= needs:
        return []
    narrower = sorted(
        (kind for kind in around.kinds.values() if kind.stuff.carries_edge and kind.sold != "ready-cut"),
        key=lambda kind: -kind.width_mm,
    )
    fits = next(
        (
            one
            for one in narrower
            if lacing_edge_layout(one, around.flange_mm, wraps, around.practice).needs_mm <= narrowest
        ),
        None,
    )
    changes = (
        Change(at="bones.lacing_edge", value=fits.name if fits else None),
        Change(
            at="bones.by_channel",
            value={label: kind for label, kind in choices.by_channel.items() if not label.startswith("CB ")},
        ),
        Change(at="bones.doubled", value=[label for label in choices.doubled if not label.startswith("CB ")]),
    )
    return [
        finding(
            "lacing_edge_too_wide",
            "back",
            "caution",
            where=f"Panel {last_panel.number}",
            numbers={"needs_mm": needs, "narrowest_mm": narrowest},
            mend=mend("mend.at_lacing_edge", *changes, what=fits.label) if fits else None,
            panel=last_panel.number,
        )
    ]


def check_lost(count: int, choices: BoneChoices) -> list[Finding]:
    """Channels of the maker's that lie on a panel which is no longer there; there are `count`."""
    found = []
    for field in ("between", "shaped"):
        own = getattr(choices, field) or ()
        lost = [one for one in own if one.panel > count]
        if lost:
            labels = ", ".join(one.label for one in lost)
            left = [one.model_dump() for one in own if one.panel <= count]
            found.append(
                finding(
                    "channel_lost",
                    "bones",
                    "caution",
                    at=f"bones.{field}",
                    where=labels,
                    mend=mend("mend.forget", Change(at=f"bones.{field}", value=left), channels=labels),
                    panels=count,
                    channels=labels,
                )
            )
    return found
