"""Bones, front and back, planned from a pattern laid flat: the last stages of a plan."""

from fuseau.craft.base.findings import Change, Finding, Mend
from fuseau.craft.base.lengths import Unit
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Unmakeable
from fuseau.craft.boning.bones import (
    Bone,
    between_now,
    channel_width,
    edge_bones,
    edge_layout,
    lay_bones,
    tied,
)
from fuseau.craft.boning.channels import Around
from fuseau.craft.boning.checks import check_bones, check_lost
from fuseau.craft.boning.reuse import recut
from fuseau.craft.boning.spacing import check_clashes, check_spacing, unboned
from fuseau.craft.boning.totals import boning
from fuseau.craft.closures.back import (
    Lace,
    WaistTape,
    carried,
    check_holes,
    check_lace,
    cut_lace,
    grommet_count,
    modesty_panel,
    rows,
    usual_pitch,
    waist_tape,
)
from fuseau.craft.closures.front import Busk, Opening, check_front, choose_busk, plan_opening
from fuseau.craft.closures.getting_in import Way, passing, ways_in
from fuseau.craft.closures.lacing import usual_pattern, walk
from fuseau.craft.closures.sections import Section, channel_section, edge_section, section_key
from fuseau.craft.fit.fit import Fit
from fuseau.craft.fit.target import Aim
from fuseau.craft.materials.catalogue import GROMMETS, LACES, BoneKind
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.trueing import Laid, lay_flat
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.document.build import Build
from fuseau.planning.cache import Kept
from fuseau.planning.plan import Before, HardwarePlan, Holes


def plan_hardware(
    build: Build, kept: Kept, laid: Laid, pattern: Pattern, aimed: Aim, body: Body, final: Fit, unit: Unit
) -> tuple[HardwarePlan, tuple[Finding, ...]]:
    """Every channel, bone, stud and hole of a pattern, and what is said of it. Raises Unmakeable for what can't be."""
    kind, practice = KINDS[build.kind], build.practice

    # front: what opens, and how she gets in
    edge = laid.panels[0].cf_edge
    busk = choose_busk(edge[-1][1], edge[0][1], build.front, practice, unit)
    opening = _opening(build, laid, busk, unit)
    others = passing(body, build.wearer.head_mm, build.wearer.shoulders_mm, practice)
    lacing = build.back.pattern or usual_pattern(not kind.tied)
    loops = lacing == "cross with pull loops"
    ways = ways_in(
        final, body, opening, others, practice, unit, loops=loops or not kind.reduces, round_the_neck=kind.tied
    )

    # bones: channels, what lies in them, and what is odd about them
    around = _around(build, pattern, opening, unit)
    bones = kept.stage("bones", lay_bones, laid, build.bones, around)
    spaced = kept.stage("spacing", check_spacing, laid, bones, build.bones, around, unit)

    # back: rows, lace, what lies behind
    holes = _holes(build, laid, final, around)
    clashing = kept.stage(
        "clashes", check_clashes, laid, bones, build.bones, around, holes.edge_layout_mm["needs"], unit
    )
    gap = ways[0].gap_mm if ways else 0.0
    lace = cut_lace(holes.z_mm, final.shape.mean_mm, gap, holes.inset_mm, practice, pattern=lacing)
    worn = max(final.gap_mm)
    behind = modesty_panel(
        build.back.modesty, worn, pattern.top.cb_mm, pattern.hem.cb_mm, aimed.closed_waist_mm, practice
    )
    tape = _waist_tape(build, aimed, opening, holes)
    findings = (
        *check_bones(bones, laid.panels[-1], build.bones, around, unit),
        *spaced,
        *clashing,
        *check_lost(laid, build.bones),
        *check_front(busk, opening, build.front, _beside_cf(bones, build)),
        *_check_alone(build, ways[0] if ways else None, lacing),
        *check_holes(holes.rows, GROMMETS[build.back.holes], practice.hole_clear_mm, unit),
        *check_lace(
            LACES[build.back.lace],
            GROMMETS[build.back.holes],
            max(row.carries_n for row in holes.rows),
            practice,
            unit,
        ),
        *_check_tape(build, tape, aimed),
    )
    planned = HardwarePlan(
        bones=bones,
        between=between_now(laid, build.bones, around),
        boning=boning(bones, laid, pattern.front_panels, build.bones, build.bone_kinds, final, practice),
        unboned=kept.stage("unboned", unboned, laid, bones, around),
        unboned_limit_mm=around.unboned_mm,
        mock_up_bones_mm=tied(bones, around, build.mock_up.edge_bone),
        recut=kept.stage("recut", recut, bones, build.bones.cut, build.bone_kinds, practice),
        before=_before(build, kept, opening, final, unit),
        sections=_sections(build, bones, holes),
        busk=busk,
        opening=opening,
        ways=ways,
        getting_in=ways[0] if ways else None,
        holes=holes,
        lace=lace,
        walk=walk(holes.z_mm, final.shape.mean_mm, holes.inset_mm, lacing, practice.lace_loop_mm),
        front_walk=walk(holes.front_z_mm, 0.0, holes.inset_mm, "cross") if holes.front_z_mm else (),
        front_lace=_front_lace(holes, practice),
        modesty=behind,
        waist_tape=tape,
        lace_mm=lace.cut_mm,
    )
    return planned, findings


# --- bones -----------------------------------------------------------------------------------------------


def _around(build: Build, pattern: Pattern, opening: Opening, unit: Unit) -> Around:
    """What channels lie among. Who works in inches cuts bones to the quarter inch, unless she says otherwise."""
    kind, practice = KINDS[build.kind], build.practice
    if unit == "in" and practice.bone_step_mm == Practice().bone_step_mm:
        practice = practice.model_copy(update={"bone_step_mm": 25.4 / 4})
    return Around(
        stack=build.layers,
        flange_mm=GROMMETS[build.back.holes].flange_mm,
        front_mm=opening.reach_mm if opening.line == "CF" else 0.0,
        front_laced=opening.kind == "lacing",
        open_seam=opening.seam,
        seam_mm=opening.reach_mm if opening.seam else 0.0,
        front_panels=pattern.front_panels,
        gussets=pattern.gussets,
        joined=pattern.joined,
        light=not kind.reduces,
        practice=practice,
        kinds=build.bone_kinds,
    )


def _beside_cf(bones: tuple[Bone, ...], build: Build) -> BoneKind | None:
    """The kind that lies beside what opens the front."""
    return next((build.bone_kinds[bone.kind] for bone in bones if bone.channel == "CF"), None)


def _before(build: Build, kept: Kept, opening: Opening, final: Fit, unit: Unit) -> Before | None:
    """The hardware as the version before had it, with the same choices; None where there is none."""
    if len(build.versions) < 2 or build.current is None:
        return None
    older = build.version_numbered(build.current.parent or build.current.number - 1)
    if older is None:
        return None
    laid = kept.stage("lay before", lay_flat, older.pattern, build.practice)
    busk = choose_busk(laid.panels[0].cf_edge[-1][1], laid.panels[0].cf_edge[0][1], build.front, build.practice, unit)
    around = _around(build, older.pattern, opening, unit)
    bones = kept.stage("bones before", lay_bones, laid, build.bones, around)
    return Before(
        version=older.number,
        bones_mm={bone.channel: bone.length_mm for bone in bones},
        busk_mm=busk.length_mm,
        rows=len(_holes(build, laid, final, around).z_mm),
    )


def _sections(build: Build, bones: tuple[Bone, ...], holes: Holes) -> dict[str, Section]:
    """Sections to scale: the lacing edge, and each sort of channel once."""
    kinds, practice = build.bone_kinds, build.practice
    outer, inner, counts = edge_bones(build.bones, kinds)
    wrapping = build.layers.total_mm - build.layers.lining_mm
    widths = channel_width(outer, wrapping, practice), channel_width(inner, wrapping, practice)
    hole = GROMMETS[build.back.holes]
    found = {
        "edge": edge_section(build.layers, (outer, inner), counts, widths, dict(holes.edge_layout_mm), hole),
    }
    for bone in bones:
        key = section_key(bone)
        if key not in found:
            found[key] = channel_section(bone, kinds[bone.kind], build.layers, practice)
    return found


# --- front -----------------------------------------------------------------------------------------------


def _opening(build: Build, laid: Laid, busk: Busk, unit: Unit) -> Opening:
    """What opens, on its line: CF, the side seam, or another."""
    line = build.front.line
    count = len(laid.panels)
    seam = 0
    if build.front.opening in ("zip", "hidden zip", "hooks") and line != "CF":
        seam = _front_count(build, count) if line == "side" else int(line[0])
        if seam >= count:
            raise Unmakeable("front.line", f"There is no seam {line}: there are {count} panels in each half.")
    panel = laid.panels[max(seam - 1, 0)]
    edge = panel.cb_edge if seam else panel.cf_edge
    return plan_opening(build.front, seam, (edge[0][1], edge[-1][1]), busk, build.practice, unit)


def _front_count(build: Build, count: int) -> int:
    current = build.current
    return current.pattern.front_panels if current else count // 2


def _check_alone(build: Build, way: Way | None, lacing: str) -> list[Finding]:
    """She has to get in alone, and can't."""
    if not build.brief.alone or way is None or way.alone or KINDS[build.kind].tied:
        return []
    return [
        Finding(
            code="not_alone",
            stage="front",
            severity="caution",
            at="back.pattern",
            where="CB",
            sentence="She has to get in alone, and nobody tightens a back alone that is laced without pull loops.",
            mend=Mend(
                label="Pull loops at the waist", changes=(Change(at="back.pattern", value="cross with pull loops"),)
            ),
        )
    ]


# --- back ------------------------------------------------------------------------------------------------


def _holes(build: Build, laid: Laid, final: Fit, around: Around) -> Holes:
    practice, tied_shut = build.practice, KINDS[build.kind].tied
    cb, cf = laid.panels[-1].cb_edge, laid.panels[0].cf_edge
    top, hem = cb[-1][1], cb[0][1]
    hole, lace = GROMMETS[build.back.holes], LACES[build.back.lace]
    pull = practice.neck_pull_n_per_m if tied_shut else final.pull_n_per_m
    pitch = build.back.pitch_mm or usual_pitch(pull, practice)
    loops = (build.back.pattern or usual_pattern(not tied_shut)) == "cross with pull loops"
    heights = rows(top, hem, pitch, practice, pull_loops=loops, waist_pitch_mm=build.back.waist_pitch_mm)
    front: tuple[float, ...] = ()
    if build.front.opening == "lacing":
        front = rows(cf[-1][1], cf[0][1], pitch, practice, pull_loops=False)
    layout = edge_layout(build.bones, around)
    count, spares = grommet_count((*heights, *front), hole.bought)
    last = laid.panels[-1]
    narrowest = min(right[0] - left[0] for left, right in zip(last.cf_edge, last.cb_edge, strict=False))
    return Holes(
        z_mm=heights,
        inset_mm=layout["grommets"],
        count=count,
        spares=spares,
        label=hole.label,
        die=hole.die,
        hole_mm=hole.hole_mm,
        flange_mm=hole.flange_mm,
        usual_pitch_mm=usual_pitch(pull, practice),
        minutes=count * hole.minutes,
        holds_n=hole.holds_n,
        rows=carried(heights, top, hem, pull),
        edge_layout_mm=layout,
        edge_carries=narrowest >= layout["needs"],
        front_z_mm=front,
        lace_label=lace.label,
        lace_width_mm=lace.width_mm,
        lace_mind=lace.mind,
    )


def _front_lace(holes: Holes, practice: Practice) -> Lace | None:
    """The lace of a front that is laced, edge to edge when worn, with room for a hand to get in."""
    if not holes.front_z_mm:
        return None
    return cut_lace(holes.front_z_mm, 0.0, practice.front_opens_mm, holes.inset_mm, practice, pattern="cross")


def _waist_tape(build: Build, aimed: Aim, opening: Opening, holes: Holes) -> WaistTape | None:
    """The tape at the waist, where there is one: usual wherever the waist is drawn in."""
    wished = build.back.waist_tape
    if KINDS[build.kind].tied or not (wished if wished is not None else aimed.reduction_mm > 2):
        return None
    practice = build.practice
    front = opening.reach_mm + practice.edge_stitch_mm + build.bone_kinds[build.bones.beside_busk].width_mm
    back = holes.edge_layout_mm["outer"]
    return waist_tape(aimed.closed_waist_mm / 2, front, back, practice)


def _check_tape(build: Build, tape: WaistTape | None, aimed: Aim) -> list[Finding]:
    if tape is not None or KINDS[build.kind].tied or aimed.reduction_mm <= 2:
        return []
    return [
        Finding(
            code="no_waist_tape",
            stage="back",
            severity="caution",
            at="back.waist_tape",
            where="Waist",
            sentence="Without a waist tape the cloth itself carries the pull at the waist, and stretches there.",
            mend=Mend(label="A waist tape", changes=(Change(at="back.waist_tape", value=True),)),
        )
    ]
