"""A place that digs though it is pressed little there: what lies at it, and what would mend it (model, section 6).

Each mend is a decision of its own. A seam or an edge is tried on the pattern before it is offered; a bone is one that
lies in its channel.
"""

from collections.abc import Iterator, Sequence
from typing import Literal, NamedTuple

import numpy as np

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Finding, Mend, finding, mend
from fuseau.craft.boning.bones import Bone
from fuseau.craft.fitting.inference import Learned, PlaceDug
from fuseau.craft.pattern.pattern import EdgeLine, Pattern, seam_label
from fuseau.craft.pattern.places import spread, with_places
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.wearer.body import Body, BodyLevel
from fuseau.craft.wearer.measures import LEVEL_LABELS, LevelName
from fuseau.document.build import Build
from fuseau.planning.fittings.evidence import fittings_of_current

_NEAR_EDGE_MM, _EDGE_STEP_MM = 20.0, 10.0
_NEAR_END_MM, _NEAR_ROUND, _SHORTER_MM = 20.0, 0.2, 8.0
_NEAR_SEAM = 0.12
_PAD_MM = 4.0


class _Hard(NamedTuple):
    """What lies near her skin: by which of her levels, how far up and down, and where round her.

    `beside`: a level that has to be there for it. `pad`: whether a pad over it helps.
    """

    code: str
    level: LevelName
    reach_mm: float
    first: float
    last: float
    beside: LevelName
    pad: bool


_HERS = (
    _Hard(code="hip_bone", level="high_hip", reach_mm=35.0, first=0.3, last=1.1, beside="high_hip", pad=True),
    _Hard(code="rib_edge", level="ribs", reach_mm=30.0, first=0.1, last=1.7, beside="ribs", pad=True),
    _Hard(code="bust_root", level="underbust", reach_mm=20.0, first=0.1, last=0.9, beside="bust", pad=False),
)


def check_dug(
    build: Build, learned: Learned | None, pattern: Pattern, body: Body, bones: Sequence[Bone]
) -> list[Finding]:
    """What dug at a place at the last fitting of the present version, and its mends; nothing once she chose one.

    The first mend is with what is said of the place, the others follow as advice.
    """
    here = fittings_of_current(build)
    if learned is None or not here:
        return []
    findings = []
    for dug in (one for one in learned.dug if one.fitting == here[-1].number):
        if _mended(dug, build, pattern, body, bones):
            continue
        cause = _cause(dug, build, pattern, body, bones)
        level = _nearest(dug, body)
        mends = [*_mends(dug, cause, build, pattern, body, bones)]
        way = "front" if dug.round < 0.7 else "back" if dug.round > 1.3 else "side"
        half = "" if dug.half == "both" else f".{dug.half}"
        where = LEVEL_LABELS[level.name]
        findings.append(
            finding(
                "digs_at_place",
                "mockups",
                "caution",
                where=where,
                numbers={"share": dug.expected_share},
                mend=mends[0] if mends else None,
                said=f"dug.{cause}",
                fitting=dug.fitting,
                level=level.name,
                way=f"{way}{half}",
            )
        )
        findings += [
            finding("digs_at_place_or", "mockups", "advice", where=where, mend=mend, said="dug.or", level=level.name)
            for mend in mends[1:]
        ]
    return findings


def _nearest(dug: PlaceDug, body: Body) -> BodyLevel:
    return min(body, key=lambda one: abs(one.side_mm - dug.z_mm))


def _mended(dug: PlaceDug, build: Build, pattern: Pattern, body: Body, bones: Sequence[Bone]) -> bool:
    """Whether she chose one of its mends, or another of its kind, already."""
    places = [edit.place for edit in build.line_edits if edit.place]
    if any(place.amount_mm > 0 and abs(place.peak_mm - dug.z_mm) <= build.practice.place_reach_mm for place in places):
        return True
    near = _edge_near(dug, pattern)
    if near is not None and getattr(getattr(build.draft, near[0]), f"{near[1]}_mm") is not None:
        return True
    for bone in _ends_near(dug, pattern, bones, _SHORTER_MM):
        usual = build.bone_kinds[bone.kind].clearance_mm
        if build.bones.clearance_by_channel.get(bone.channel, usual) >= usual + _SHORTER_MM:
            return True
        if bone.channel in build.bones.by_channel and _softer(dug, build, pattern, [bone]) is None:
            return True
    worn = fittings_of_current(build)[-1].pads
    return any(pad.level == _nearest(dug, body).name and pad not in worn for pad in build.pads)


def _cause(dug: PlaceDug, build: Build, pattern: Pattern, body: Body, bones: Sequence[Bone]) -> str:
    """What lies there: an edge, a bone's end, a bone of hers, a seam; else the place itself."""
    edge = _edge_near(dug, pattern)
    if edge is not None:
        return f"edge_{edge[0]}"
    if _ends_near(dug, pattern, bones):
        return "bone_end"
    for bone in _HERS:
        here = bone.level in body and bone.beside in body and bone.first <= dug.round <= bone.last
        if here and abs(body[bone.level].side_mm - dug.z_mm) <= bone.reach_mm:
            return bone.code
    seams = pattern.shape.places[1:-1:2]
    return "seam" if len(seams) and float(np.min(np.abs(seams - dug.round))) < _NEAR_SEAM else "place"


def _line_at(line: EdgeLine, round_: float) -> float:
    return float(np.interp(round_, (0.0, 1.0, 2.0), (line.cf_mm, line.side_mm, line.cb_mm)))


def _edge_near(dug: PlaceDug, pattern: Pattern) -> tuple[Literal["top", "hem"], Literal["cf", "side", "cb"]] | None:
    """The edge that comes so near, and at which of its places it is moved."""
    place: Literal["cf", "side", "cb"] = "cf" if dug.round < 0.5 else "side" if dug.round <= 1.5 else "cb"
    for end in ("top", "hem"):
        if abs(_line_at(getattr(pattern, end), dug.round) - dug.z_mm) <= _NEAR_EDGE_MM:
            return end, place
    return None


def _ends_near(dug: PlaceDug, pattern: Pattern, bones: Sequence[Bone], beside_mm: float = 0.0) -> list[Bone]:
    """Bones with an end so near, or `beside_mm` further away."""
    places = pattern.shape.places
    found = []
    for bone in bones:
        if not bone.bone_path or bone.panel > len(pattern.panels):
            continue
        first, last = places[2 * bone.panel - 2], places[2 * bone.panel - 1]
        for x, z in (bone.bone_path[0], bone.bone_path[-1]):
            left, right = pattern.shape.across(np.array([z]))[0, 2 * bone.panel - 2 : 2 * bone.panel]
            round_ = first + (last - first) * (x - left) / max(float(right - left), 1e-9)
            if abs(z - dug.z_mm) <= _NEAR_END_MM + beside_mm and abs(round_ - dug.round) <= _NEAR_ROUND:
                found.append(bone)
                break
    return found


def _mends(
    dug: PlaceDug, cause: str, build: Build, pattern: Pattern, body: Body, bones: Sequence[Bone]
) -> Iterator[Mend]:
    """What would mend it, that which goes to the cause first."""
    let_out, edge, end = _let_out(dug, build, pattern), _edge(dug, build, pattern), _end(dug, build, pattern, bones)
    softer = _softer(dug, build, pattern, bones)
    pad = _pad(dug, build, body) if cause in {one.code for one in _HERS if one.pad} else None
    order = {
        "bone_end": (end, softer, let_out, edge),
        "edge_top": (edge, let_out, end, softer),
        "edge_hem": (edge, let_out, end, softer),
    }
    yield from (one for one in order.get(cause, (let_out, edge, end, softer, pad)) if one is not None)


def _let_out(dug: PlaceDug, build: Build, pattern: Pattern) -> Mend | None:
    practice = build.practice
    places, _ = spread(
        pattern,
        dug.round,
        dug.z_mm,
        practice.place_reach_mm,
        practice.dig_let_out_mm,
        behind=None if abs(dug.round - 1) < _NEAR_ROUND else dug.round > 1,
        half=dug.half,
        cap_mm=practice.seam_cap_mm,
    )
    if not places or build.current is None or not _lies(with_places(pattern, places), build):
        return None
    first = places[0]
    line = {**first.model_dump(exclude={"seen", "fitting"}), "version": build.current.number}
    return mend(
        "mend.let_out_there",
        Change(at=f"line_edits.{len(build.line_edits)}", value=line),
        seam=seam_label(first.seam),
        by_mm=first.amount_mm,
        reach_mm=practice.place_reach_mm,
    )


def _edge(dug: PlaceDug, build: Build, pattern: Pattern) -> Mend | None:
    near = _edge_near(dug, pattern)
    if near is None:
        return None
    end, place = near
    line: EdgeLine = getattr(pattern, end)
    height = getattr(line, f"{place}_mm") + (-_EDGE_STEP_MM if end == "top" else _EDGE_STEP_MM)
    if not _lies(pattern.altered(**{end: line.model_copy(update={f"{place}_mm": height})}), build):
        return None
    change = Change(at=f"draft.{end}.{place}_mm", value=round(max(10.0, height if end == "top" else -height), 1))
    return mend(f"mend.edge_there.{end}", change, place="the side" if place == "side" else place.upper())


def _end(dug: PlaceDug, build: Build, pattern: Pattern, bones: Sequence[Bone]) -> Mend | None:
    for bone in _ends_near(dug, pattern, bones):
        now = build.bones.clearance_by_channel.get(bone.channel)
        clear = (build.bone_kinds[bone.kind].clearance_mm if now is None else now) + _SHORTER_MM
        if bone.path_mm - 2 * clear > bone.length_mm / 2:
            change = Change(at=f"bones.clearance_by_channel.{bone.channel}", value=clear)
            return mend("mend.shorter_bone", change, channel=bone.channel, by_mm=2 * _SHORTER_MM)
    return None


def _softer(dug: PlaceDug, build: Build, pattern: Pattern, bones: Sequence[Bone]) -> Mend | None:
    """The softest kind that lies in the channel of a bone that ends there, if it is softer by half."""
    kinds = build.bone_kinds
    for bone in _ends_near(dug, pattern, bones):
        now = kinds[bone.kind].flatwise_stiffness()
        can = [kinds[name] for name in bone.can_lie if name in kinds]
        soft = min(can, key=lambda kind: kind.flatwise_stiffness(), default=None)
        if soft is not None and soft.flatwise_stiffness() < now / 2:
            change = Change(at=f"bones.by_channel.{bone.channel}", value=soft.name)
            return mend("mend.softer_bone", change, channel=bone.channel, bone=soft.label)
    return None


def _pad(dug: PlaceDug, build: Build, body: Body) -> Mend | None:
    """A thin pad over a bone of hers, worn under it: the garment is made for it."""
    level = _nearest(dug, body).name
    if any(pad.level == level for pad in build.pads):
        return None
    place = "front" if dug.round < 0.7 else "back" if dug.round > 1.3 else "sides"
    change = Change(at=f"pads.{len(build.pads)}", value={"level": level, "place": place, "thick_mm": _PAD_MM})
    return mend("mend.pad_there", change, level=level, thick_mm=_PAD_MM)


def _lies(pattern: Pattern, build: Build) -> bool:
    """Whether a pattern can be laid flat."""
    try:
        lay_flat(pattern, build.practice)
    except Unmakeable:
        return False
    return True
