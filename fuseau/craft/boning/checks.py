"""What is odd about bones: too short, too stiff, sold too short, wrongly made; each with what mends it (model, 7)."""

from fuseau.craft.base.findings import Change, Finding, Mend, capital
from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.boning.bones import Bone, edge_layout, lacing_edge_layout
from fuseau.craft.boning.channels import Around, BoneChoices
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.trueing import Laid, LaidPanel

_LEAST_BONE_MM = 30.0


def check_bones(
    bones: tuple[Bone, ...], last_panel: LaidPanel, choices: BoneChoices, around: Around, unit: Unit
) -> list[Finding]:
    """Channels too short for any bone, bones that can't bend or are sold too short, a lacing edge too wide."""
    findings = []
    for bone in bones:
        if bone.room_mm < _LEAST_BONE_MM:
            findings.append(_too_short(bone, choices, unit))
        elif around.kinds[bone.kind].sold == "ready-cut" and (
            bone.room_mm - bone.length_mm > around.practice.ready_short_mm
        ):
            findings.append(_sold_too_short(bone, around, unit))
        if bone.kind not in bone.can_lie and bone.room_mm >= _LEAST_BONE_MM:
            findings.append(_stiff(bone, around, unit))
        if bone.made == "in the allowances" and bone.place == "seam":
            findings.append(_centred_in_allowances(bone))
    return [*findings, *_edge_too_wide(last_panel, choices, around, unit)]


def _too_short(bone: Bone, choices: BoneChoices, unit: Unit) -> Finding:
    mend = None
    if bone.seam is not None:
        changes = (Change(at=f"bones.on_seams.{seam_label(bone.seam)}", value="none"),)
        mend = Mend(label=f"No bone in {bone.channel}", changes=changes)
    elif bone.own is not None and choices.between is not None and bone.own.startswith("between"):
        left = [one.model_dump() for one in choices.between if one.label != bone.channel]
        mend = Mend(label=f"Leave {bone.channel} out", changes=(Change(at="bones.between", value=left),))
    return Finding(
        code="channel_too_short",
        stage="bones",
        severity="caution",
        where=bone.channel,
        sentence=f"The channel {bone.channel} is {format_length(bone.path_mm, unit, hardware=True)} long: "
        "too short for a bone.",
        numbers={"path_mm": bone.path_mm},
        mend=mend,
    )


def _sold_too_short(bone: Bone, around: Around, unit: Unit) -> Finding:
    """A ready-cut bone that leaves the edge to curl, with one that is cut to length instead."""
    kind = around.kinds[bone.kind]
    others = [
        one
        for one in around.kinds.values()
        if one.material == kind.material and one.sold != "ready-cut" and one.name in bone.can_lie
    ]
    best = min(others, key=lambda one: abs(one.width_mm - kind.width_mm), default=None)
    short = format_length(bone.room_mm - bone.length_mm, unit, hardware=True)
    longest = (
        f"the longest {kind.label} that fits is {format_length(bone.length_mm, unit, hardware=True)}, {short} short"
        if bone.length_mm
        else f"{kind.label} is sold no shorter than {format_length(min(kind.lengths_mm), unit, hardware=True)}"
    )
    return Finding(
        code="ready_cut_short",
        stage="bones",
        severity="caution",
        at=f"bones.by_channel.{bone.channel}",
        where=bone.channel,
        sentence=f"In {bone.channel} there is room for {format_length(bone.room_mm, unit, hardware=True)}; {longest}.",
        numbers={"room_mm": bone.room_mm, "length_mm": bone.length_mm},
        mend=Mend(
            label=f"{capital(best.label)}, cut to length, in {bone.channel}",
            changes=(Change(at=f"bones.by_channel.{bone.channel}", value=best.name),),
        )
        if best
        else None,
    )


def _stiff(bone: Bone, around: Around, unit: Unit) -> Finding:
    """A bone that does not follow its channel, with a kind that does."""
    kind = around.kinds[bone.kind]
    follows = [around.kinds[name] for name in bone.can_lie if around.kinds[name].material != "nylon"]
    steel = kind.material in ("flat steel", "spiral steel")
    alike = [one for one in follows if (one.material in ("flat steel", "spiral steel")) == steel] or follows
    best = min(alike, key=lambda one: abs(one.width_mm - kind.width_mm), default=None)
    return Finding(
        code="bone_wont_bend",
        stage="bones",
        severity="caution",
        at=f"bones.by_channel.{bone.channel}",
        where=bone.channel,
        sentence=f"The channel {bone.channel} bends to a radius of {format_length(bone.radius_mm or 0, unit)}, at "
        f"{format_length(bone.tightest_z_mm, unit)}; {kind.label} follows {format_length(kind.least_radius_mm, unit)} "
        "at the tightest, and would twist or wear through.",
        numbers={"radius_mm": bone.radius_mm or 0.0, "least_mm": kind.least_radius_mm},
        mend=Mend(
            label=f"{capital(best.label)} in {bone.channel}",
            changes=(Change(at=f"bones.by_channel.{bone.channel}", value=best.name),),
        )
        if best
        else None,
    )


def _centred_in_allowances(bone: Bone) -> Finding:
    return Finding(
        code="channel_in_allowances",
        stage="bones",
        severity="caution",
        at=f"bones.on_seams.{bone.channel}",
        where=bone.channel,
        sentence=f"A channel in the allowances of {bone.channel} lies beside the seam, not on it: one allowance is its "
        "casing.",
        mend=Mend(
            label=f"{bone.channel}: beside the seam, toward CB",
            changes=(Change(at=f"bones.on_seams.{bone.channel}", value="CB side"),),
        ),
    )


def _edge_too_wide(last_panel: LaidPanel, choices: BoneChoices, around: Around, unit: Unit) -> list[Finding]:
    """A last panel that can't carry its lacing edge, with narrower bones or a single one if that mends it."""
    wraps, needs = around.wraps_mm("between plies"), edge_layout(choices, around)["needs"]
    narrowest = min(right[0] - left[0] for left, right in zip(last_panel.cf_edge, last_panel.cb_edge, strict=False))
    if narrowest >= needs:
        return []
    narrower = sorted(
        (one for one in around.kinds.values() if one.material == "flat steel" and one.sold != "ready-cut"),
        key=lambda one: -one.width_mm,
    )
    fits = next(
        (
            one
            for one in narrower
            if lacing_edge_layout(one, around.flange_mm, wraps, around.practice)["needs"] <= narrowest
        ),
        None,
    )
    keep = {label: kind for label, kind in choices.by_channel.items() if not label.startswith("CB ")}
    single = [label for label in choices.doubled if not label.startswith("CB ")]
    return [
        Finding(
            code="lacing_edge_too_wide",
            stage="back",
            severity="caution",
            where=f"Panel {last_panel.number}",
            sentence=f"The lacing edge needs {format_length(needs, unit, hardware=True)} from the fold to the "
            f"last line of stitching; panel {last_panel.number} is "
            f"{format_length(narrowest, unit, hardware=True)} at its narrowest.",
            numbers={"needs_mm": needs, "narrowest_mm": narrowest},
            mend=Mend(
                label=f"{capital(fits.label)} at the lacing edge, one in each channel",
                changes=(
                    Change(at="bones.lacing_edge", value=fits.name),
                    Change(at="bones.by_channel", value=keep),
                    Change(at="bones.doubled", value=single),
                ),
            )
            if fits
            else None,
        )
    ]


def check_lost(laid: Laid, choices: BoneChoices) -> list[Finding]:
    """Channels of the maker's that lie on a panel which is no longer there."""
    count, found = len(laid.panels), []
    for field in ("between", "shaped"):
        own = getattr(choices, field) or ()
        lost = [one for one in own if one.panel > count]
        if lost:
            labels = ", ".join(one.label for one in lost)
            left = [one.model_dump() for one in own if one.panel <= count]
            found.append(
                Finding(
                    code="channel_lost",
                    stage="bones",
                    severity="caution",
                    at=f"bones.{field}",
                    where=labels,
                    sentence=f"There are {count} panels now: the channels {labels} have none to lie on.",
                    mend=Mend(label=f"Forget {labels}", changes=(Change(at=f"bones.{field}", value=left),)),
                )
            )
    return found
