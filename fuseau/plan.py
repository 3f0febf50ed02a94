"""plan(build) -> Plan: the one pipeline, stage after stage, from the wearer to the lace.

The Plan is never stored as truth and never edited. A reader who follows `plan` from top to bottom meets every
stage once; no stage reaches back.
"""

from collections.abc import Callable
from typing import Any, TypeVar

from fuseau.build import Brief, Build
from fuseau.craft.back import (
    BackChoices,
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
from fuseau.craft.body import Body, missing_measures
from fuseau.craft.bones import (
    Bone,
    between_now,
    channel_width,
    check_bones,
    check_lost,
    edge_bones,
    lacing_edge_layout,
    lay_bones,
    tied,
)
from fuseau.craft.boning import boning, cup_boning
from fuseau.craft.channels import Around
from fuseau.craft.dressing import Way, passing, ways_in
from fuseau.craft.fates import recut
from fuseau.craft.findings import Change, Finding, Mend
from fuseau.craft.fit import Fit, Lacing, check_fit, fit
from fuseau.craft.front import Busk, FrontChoices, Opening, check_front, choose_busk, plan_opening
from fuseau.craft.kinds import KINDS
from fuseau.craft.lacing import usual_pattern, walk
from fuseau.craft.learning import Belief, Foreseen, foresee, infer
from fuseau.craft.lengths import Unit, format_length
from fuseau.craft.limits import check_gap, check_lines
from fuseau.craft.notions import GROMMETS, LACES, BoneKind, BoneName
from fuseau.craft.pattern import Pattern
from fuseau.craft.practice import Practice
from fuseau.craft.raising import raises
from fuseau.craft.readiness import Readiness, readiness
from fuseau.craft.record import Unmakeable
from fuseau.craft.sections import Section, channel_section, edge_section, section_key
from fuseau.craft.settling import Unsettled
from fuseau.craft.spacing import check_clashes, check_spacing, unboned
from fuseau.craft.stand import check_stand, padding
from fuseau.craft.target import Aim, Target, check_aim
from fuseau.craft.tracing import check_typed
from fuseau.craft.trueing import Laid, lay_flat
from fuseau.craft.wearer import LEVEL_LABELS, LevelName, check_measures
from fuseau.fitted import hung, stale_versions
from fuseau.mockup import plan_mock_up
from fuseau.planned import Before, Holes, Plan
from fuseau.remarks import check_fittings, read_upside_down
from fuseau.seeing import tried_on
from fuseau.shaping import (
    aim_at,
    edge_of,
    edges,
    final_lacing,
    mock_up_lacing,
    planned_pattern,
    propose,
)

Result = TypeVar("Result")
_STIFF: BoneName = "flat_12"  # what holds a lacing edge straight


class Kept:
    """Results of stages with the inputs they came from, so that a stage whose inputs stand is not run again.

    One Kept belongs to one caller (the app keeps one per open build); plan() without one keeps nothing.
    """

    def __init__(self) -> None:
        self._stages: dict[str, tuple[tuple[Any, ...], Any]] = {}

    def stage(self, name: str, run: Callable[..., Result], *inputs: Any) -> Result:
        """The result of run(*inputs), reused when the stage last ran with equal inputs."""
        known = self._stages.get(name)
        if known is not None and known[0] == inputs:
            result: Result = known[1]
            return result
        result = run(*inputs)
        self._stages[name] = (inputs, result)
        return result


def plan(build: Build, *, unit: Unit = "cm", kept: Kept | None = None) -> Plan:
    """Everything that follows from a build. Deterministic; never raises for a valid Build.

    `unit` is that of the sentences. What cannot be made ends in a finding of severity "stop" and
    `unmakeable`; missing measures end in `missing`, with nothing planned that would need them.
    """
    kept = kept or Kept()
    kind = KINDS[build.kind]
    findings = check_measures(build.wearer, kind.levels, build.practice, unit)
    missing = missing_measures(build.wearer, kind.needed)
    if missing:
        return Plan(unit=unit, missing=tuple(missing), findings=(*findings, _ask_for(missing)))
    try:
        return _plan_garment(build, unit, kept, findings)
    except Unmakeable as error:
        stop = Finding(
            code="unmakeable", stage=_stage_of(error.at), severity="stop", at=error.at, sentence=error.message
        )
    except Unsettled as error:
        stop = Finding(code="unsettled", stage="mockups", severity="stop", sentence=str(error))
    return Plan(unit=unit, unmakeable=True, findings=(*findings, stop))


def _plan_garment(build: Build, unit: Unit, kept: Kept, findings: list[Finding]) -> Plan:
    practice = build.practice

    # wearer: what the tape says, then what the fittings taught
    kind = KINDS[build.kind]
    measured = kept.stage("believe", _measured, _wearing(build))
    belief = kept.stage("infer", _infer, _seen(build), measured)
    body, learned = hung(build, belief.body), belief.learned if build.fittings else None

    flipped = kept.stage("flipped", read_upside_down, _seen(build), measured)

    # pattern: what to aim for, and the pattern that is worked from
    top, hem = edges(build, body)
    shaped = _shaped(build)
    aimed, aimed_pattern = kept.stage("aim", aim_at, shaped, body, top, hem)
    current = build.current
    pattern = current.pattern if current else aimed_pattern
    check_gap(build.target.gap_mm, pattern, unit)
    laid = kept.stage("lay", lay_flat, pattern, practice)

    # fit: as it will be worn, and as a mock-up
    final = kept.stage("final", fit, final_lacing(build, pattern, aimed), body)
    mock_up = kept.stage("mock-up", fit, mock_up_lacing(build, pattern), body)
    proposal = kept.stage("propose", propose, shaped, belief, body, aimed, aimed_pattern, unit) if current else None

    prediction = proposal.next_mock_up if proposal else None
    if prediction is None and build.fittings and not kind.tied:
        prediction = kept.stage("prediction", _foresee_mock_up, belief, mock_up_lacing(build, pattern))

    # the dress stand that the work hangs on
    stand = padding(build.stand, body, practice.stand_near_mm)

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
    holes = _holes(build, laid, final)
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
    shown = kept.stage("planned", planned_pattern, shaped, body, pattern, laid)

    findings = [
        *findings,
        *_check_guesses(body, unit),
        *check_stand(build.stand, stand, pattern.top, pattern.hem, unit),
        *check_aim(build.target, aimed, body, build.wearer.new_to_lacing, practice, unit),
        *(check_typed(pattern, body, unit) if current else []),
        *check_lines(aimed_pattern, body, build.wearer.waist_to_lap_sitting_mm, unit),
        *check_fit(final, practice, unit),
        *_check_edges(build, pattern, aimed, body, final, unit),
        *check_fittings(build, learned, proposal, pattern, flipped, unit),
        *check_bones(bones, laid.panels[-1], build.bones, around, unit),
        *spaced,
        *clashing,
        *check_lost(laid, build.bones),
        *_check_halves(pattern),
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
    ]
    return Plan(
        unit=unit,
        body=body,
        stand=stand,
        aim=aimed,
        levels=final.levels,
        gap_shape=final.shape,
        final=final,
        mock_up=mock_up,
        pattern=shown,
        drafted=None if current else pattern,
        seams=laid.seams,
        learned=learned,
        proposal=proposal,
        prediction=prediction,
        stale=tuple(stale_versions(build)),
        mock_up_plan=plan_mock_up(build, body, proposal.mock_up if proposal else mock_up, final, unit),
        bones=bones,
        between=between_now(laid, build.bones, around),
        boning=boning(bones, laid, pattern.front_panels, build.bones, build.bone_kinds, final, practice),
        cup_boning=cup_boning(shown.cup, practice),
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
        **_front_lacing(holes, practice),
        modesty=behind,
        waist_tape=tape,
        lace_mm=lace.cut_mm,
        findings=tuple(findings),
    )


def _foresee_mock_up(belief: Belief, lacing: Lacing) -> Foreseen:
    return foresee(belief, lacing, mock_up=True)


# --- wearer ----------------------------------------------------------------------------------------------


def _ask_for(missing: list[LevelName]) -> Finding:
    names = [LEVEL_LABELS[name].lower() for name in missing]
    spoken = names[0] if len(names) == 1 else ", ".join(names[:-1]) + " and " + names[-1]
    return Finding(
        code="measure",
        stage="wearer",
        severity="stop",
        at=f"wearer.{missing[0]}.readings_mm",
        sentence=f"Measure the {spoken}: then the pattern can be drafted.",
    )


def _check_guesses(body: Body, unit: Unit) -> list[Finding]:
    return [
        Finding(
            code="guessed",
            stage="wearer",
            severity="advice",
            at=f"wearer.{level.name}.readings_mm",
            where=LEVEL_LABELS[level.name],
            sentence=f"{LEVEL_LABELS[level.name]} not measured: {format_length(level.girth_mm, unit)} is taken, "
            "between its neighbours.",
            numbers={"girth_mm": level.girth_mm},
        )
        for level in body
        if not level.measured
    ]


def _wearing(build: Build) -> Build:
    """The build with only what the wearer's body follows from."""
    return Build(
        kind=build.kind,
        wearer=build.wearer,
        measuring=build.measuring,
        taught=build.taught,
        practice=build.practice,
        zones=build.zones,
    )


def _measured(build: Build) -> Body:
    return build.body


def _seen(build: Build) -> Build:
    """The build without what no fitting depends on, so that wishes can change without learning anew."""
    return Build(
        kind=build.kind,
        target=Target(job=build.target.job),
        layers=build.layers,
        versions=build.versions,
        fittings=build.fittings,
        practice=build.practice,
        catalogue=build.catalogue,
    )


def _shaped(build: Build) -> Build:
    """The build without what the pattern does not depend on: brief, front, back, bones but for the lacing edge."""
    return build.model_copy(
        update={
            "brief": Brief(),
            "front": FrontChoices(),
            "back": BackChoices(holes=build.back.holes),
            "bones": build.bones.of_the_edge(),
        }
    )


def _infer(build: Build, measured: Body) -> Belief:
    return infer(measured, tried_on(build, measured))


def ready(build: Build, *, kept: Kept | None = None) -> Readiness | None:
    """The odds that the real garment fits if cut now: from the version proposed, else the present one or the draft.

    None while nothing is drafted, or for a garment that is tied at its gap. About half a second.
    """
    kept = kept or Kept()
    planned = plan(build, kept=kept)
    if planned.pattern is None or planned.aim is None or KINDS[build.kind].tied:
        return None
    measured = kept.stage("believe", _measured, _wearing(build))
    belief = kept.stage("infer", _infer, _seen(build), measured)
    proposal, current = planned.proposal, build.current
    pattern = proposal.pattern if proposal else current.pattern if current else planned.drafted
    assert pattern is not None
    final, gap = final_lacing(build, pattern, planned.aim), build.target.gap_mm
    found = kept.stage("ready", readiness, belief, final, gap)
    better = kept.stage(
        "raises",
        raises,
        belief,
        final,
        mock_up_lacing(build, pattern),
        edge_of(build, _STIFF),
        gap,
        found.probability,
        build.bone_kinds[_STIFF].label,
    )
    return found.model_copy(update={"raises": better})


# --- fit -------------------------------------------------------------------------------------------------


def _check_edges(build: Build, pattern: Pattern, aimed: Aim, body: Body, final: Fit, unit: Unit) -> list[Finding]:
    """Whether soft lacing edges let the gap bow, and what flat steel would make of it."""
    stiff = _STIFF
    bow = final.shape.bow_mm
    if abs(bow) <= build.practice.parallel_mm or build.bones.lacing_edge == stiff:
        return []
    alone = {label: kind for label, kind in build.bones.by_channel.items() if not label.startswith("CB ")}
    bones = build.bones.model_copy(update={"lacing_edge": stiff, "by_channel": alone})
    stiffer = build.model_copy(update={"bones": bones})
    mended = fit(final_lacing(stiffer, pattern, aimed), body).shape.bow_mm
    if abs(mended) > abs(bow) - 1:
        return []
    kinds = build.bone_kinds
    kind = kinds[build.bones.lacing_edge].label
    return [
        Finding(
            code="soft_edges",
            stage="bones",
            severity="caution",
            at="bones.lacing_edge",
            where="CB",
            sentence=f"With {kind} at the lacing edge the gap bows {format_length(abs(bow), unit, hardware=True)}; "
            f"{kinds[stiff].label} brings it to {format_length(abs(mended), unit, hardware=True)}.",
            numbers={"bow_mm": bow, "mended_bow_mm": mended},
            mend=Mend(
                label=f"{kinds[stiff].label[0].upper()}{kinds[stiff].label[1:]} at the lacing edge",
                changes=(
                    Change(at="bones.lacing_edge", value=stiff),
                    *(Change(at=f"bones.by_channel.{label}", value=None) for label in ("CB outer", "CB inner")),
                ),
            ),
        )
    ]


def _check_halves(pattern: Pattern) -> list[Finding]:
    """Says that bones, busk and holes are those of the right half where the left one differs."""
    if pattern.left is None:
        return []
    return [
        Finding(
            code="halves_differ",
            stage="bones",
            severity="advice",
            where="Left half",
            sentence="The halves differ: bones, busk and holes are planned on the right one. Measure the channels of "
            "the left before cutting its bones.",
        )
    ]


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
        rows=len(_holes(build, laid, final).z_mm),
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


def _holes(build: Build, laid: Laid, final: Fit) -> Holes:
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
    outer, inner, counts = edge_bones(build.bones, build.bone_kinds)
    wrapping = build.layers.total_mm - build.layers.lining_mm
    layout = lacing_edge_layout(outer, hole.flange_mm, wrapping, practice, inner, counts)
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


def _front_lacing(holes: Holes, practice: Practice) -> dict[str, Any]:
    """The walk and the lace of a front that is laced, edge to edge when worn, with room for a hand to get in."""
    heights, inset = holes.front_z_mm, holes.inset_mm
    if not heights:
        return {}
    return {
        "front_walk": walk(heights, 0.0, inset, "cross"),
        "front_lace": cut_lace(heights, 0.0, practice.front_opens_mm, inset, practice, pattern="cross"),
    }


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


def _stage_of(at: str) -> Any:
    return {"wearer": "wearer", "bones": "bones", "front": "front", "back": "back"}.get(at.split(".")[0], "pattern")
