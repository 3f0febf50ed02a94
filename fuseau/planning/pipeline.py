"""plan(build) -> Plan: the one pipeline, stage after stage, from the wearer to the lace.

The Plan is never stored as truth and never edited. A reader who follows `_plan_garment` from top to bottom meets every
stage once; no stage reaches back. Each is a function of one frozen record, taken from the build (and from what the
stages before came to) once; the cache keeps results under those records. The Plan carries messages, not sentences.
"""

from dataclasses import dataclass

from fuseau.craft.base.errors import CraftError, Unmakeable, Unsettled
from fuseau.craft.base.findings import Change, Finding, Stage, finding, mend
from fuseau.craft.base.lengths import Unit
from fuseau.craft.boning.totals import Boning, cup_boning
from fuseau.craft.closures.front import Opening, check_front
from fuseau.craft.fit.fit import Fit, check_fit
from fuseau.craft.fit.target import Aim, check_aim
from fuseau.craft.fitting.inference import Belief
from fuseau.craft.pattern.checks import check_lines, check_trueing
from fuseau.craft.pattern.dress_stand import check_stand, padding
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.typed_widths import check_typed
from fuseau.craft.wearer.body import Body, missing_measures
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LEVEL_LABELS, LevelName, check_measures
from fuseau.document.build import Build
from fuseau.planning.back import BackInputs, HolesInputs, lace_back, set_holes
from fuseau.planning.bones import (
    STIFF,
    BonesInputs,
    BonesLaid,
    ReuseInputs,
    SectionsInputs,
    TotalsInputs,
    around_channels,
    check_edges,
    draw_sections,
    lay_all_bones,
    mock_up_bones,
    of_the_left,
    reuse,
    total,
    with_stiff_edges,
)
from fuseau.planning.cache import StageCache
from fuseau.planning.dug import check_dug
from fuseau.planning.evidence import stale_versions, with_side_seam_seen
from fuseau.planning.fits import FitInputs, ForeseeInputs, foresee_mock_up, settle_fit
from fuseau.planning.fitting_checks import check_fittings, words_apart
from fuseau.planning.front import OpeningInputs, WaysInputs, check_closing, check_ways, find_ways_in, open_front
from fuseau.planning.halves import Halves
from fuseau.planning.lacings import final_lacing, mock_up_lacing
from fuseau.planning.layers import LayersInputs, lay_layers
from fuseau.planning.next_mock_up import plan_mock_up
from fuseau.planning.observations import InferenceInputs, UpsideDownInputs, infer_belief, read_upside_down
from fuseau.planning.odds import OddsInputs, work_out_odds
from fuseau.planning.pads import check_padding, made_pads
from fuseau.planning.pattern import AimInputs, LayInputs, ShownInputs, aim_pattern, lay, show_pattern
from fuseau.planning.plan import Before, HardwarePlan, LeftHardware, Plan
from fuseau.planning.proposal import ProposalInputs, propose
from fuseau.planning.seat import check_seat
from fuseau.planning.trims import TrimsInputs, TrimsLaid, lay_trims
from fuseau.planning.verdict import SETTLED_FIRST, verdict
from fuseau.planning.wearer import MeasuredInputs, ask_for, check_guesses, measured_body


def plan(build: Build, *, unit: Unit = "cm", cache: StageCache | None = None) -> Plan:
    """Everything that follows from a build. Deterministic; never raises for a valid Build.

    `unit` only tells in which steps bones are cut. What cannot be made ends in a finding of severity "stop" and
    `unmakeable`; missing measures end in `missing`, with nothing planned that would need them.
    """
    kind = GARMENT_KINDS[build.kind]
    findings = [*check_measures(build.wearer, kind.levels, build.practice), *_lessons(build)]
    missing = missing_measures(build.wearer, kind.needed)
    if missing:
        return Plan(missing=tuple(missing), findings=(*findings, ask_for(missing)))
    try:
        return _plan_garment(build, unit, cache or StageCache(), findings)
    except (Unmakeable, Unsettled) as error:
        return Plan(unmakeable=True, findings=(*findings, _stop(error)))


def _lessons(build: Build) -> list[Finding]:
    """What she would have changed of the garment that this one is made like, until it is seen to."""
    found = []
    for i, lesson in enumerate(build.brief.lessons):
        others = [one for k, one in enumerate(build.brief.lessons) if k != i]
        seen_to = mend("mend.seen_to", Change(at="brief.lessons", value=others))
        found.append(finding("lesson", "brief", "advice", at="brief.lessons", mend=seen_to, text=lesson))
    return found


def believed(build: Build, cache: StageCache) -> tuple[Belief, int | None]:
    """What is believed of the wearer after all fittings, and the number of a fitting that was read upside down."""
    measured = cache.run(measured_body, MeasuredInputs.of(build))
    seen = InferenceInputs.of(build, measured)
    belief = cache.run(infer_belief, seen)
    return belief, cache.run(read_upside_down, UpsideDownInputs(seen, belief))


@dataclass(frozen=True)
class BonedSo:
    """What the bones of a build do, without the rest of its plan: how it settles, the channels, what they come to."""

    final: Fit
    laid: BonesLaid
    boning: Boning


def plan_boning(build: Build, cache: StageCache) -> BonedSo | None:
    """The stages from the wearer to the bones, as `plan` runs them; None where measures are missing or it can't be."""
    if missing_measures(build.wearer, GARMENT_KINDS[build.kind].needed):
        return None
    try:
        belief, _ = believed(build, cache)
        body = with_side_seam_seen(build, belief.body)
        aimed, aimed_pattern = cache.run(aim_pattern, AimInputs.of(build, body))
        pattern = build.current.pattern if build.current else aimed_pattern
        halves = _lay_halves(build, cache, pattern)
        final = cache.run(settle_fit, FitInputs(final_lacing(build, pattern, aimed), body))
        _, opening = cache.run(open_front, OpeningInputs.of(build, halves, pattern.front_panels, "cm"))
        right, left = _bone_halves(build, "cm", cache, halves, pattern, opening)
    except (Unmakeable, Unsettled):
        return None
    lefts = left.bones if left else None
    return BonedSo(
        final, right, cache.run(total, TotalsInputs.of(build, right.bones, halves.right, pattern, final, lefts))
    )


def _lay_halves(build: Build, cache: StageCache, pattern: Pattern) -> Halves:
    """Both halves of a pattern laid flat."""
    left = pattern.left_pattern
    return Halves(
        cache.run(lay, LayInputs(pattern, build.practice)),
        cache.run(lay, LayInputs(left, build.practice)) if left else None,
    )


def _bone_halves(
    build: Build, unit: Unit, cache: StageCache, halves: Halves, pattern: Pattern, opening: Opening
) -> tuple[BonesLaid, BonesLaid | None]:
    """Channels and bones of the right half, and of the left where its cut or what opens it differs."""
    right = cache.run(
        lay_all_bones, BonesInputs.of(build, halves.right, around_channels(build, pattern, opening, unit, "right"))
    )
    if halves.left is None and opening.half not in ("left", "right"):
        return right, None
    around = around_channels(build, pattern, opening, unit, "left")
    return right, cache.run(lay_all_bones, BonesInputs.of(build, halves.left or halves.right, around))


def _plan_garment(build: Build, unit: Unit, cache: StageCache, findings: list[Finding]) -> Plan:
    kind, practice, current = GARMENT_KINDS[build.kind], build.practice, build.current

    # wearer: what the tape says, then what the fittings taught
    belief, flipped = believed(build, cache)
    body, learned = with_side_seam_seen(build, belief.body), belief.learned if build.fittings else None

    pads = made_pads(build, belief.unknowns.prior)

    # pattern: what to aim for, and the pattern that is worked from
    asked = AimInputs.of(build, body)
    aimed, aimed_pattern = cache.run(aim_pattern, asked)
    pattern = current.pattern if current else aimed_pattern
    halves = _lay_halves(build, cache, pattern)
    laid = halves.right
    shown = cache.run(show_pattern, ShownInputs.of(build, body, pattern, laid))
    stand = padding(build.stand, body, practice.stand_near_mm)

    # mock-ups: as it will be worn, as a mock-up, and the next version
    lacing, mock_up_laced = final_lacing(build, pattern, aimed), mock_up_lacing(build, pattern)
    final = cache.run(settle_fit, FitInputs(lacing, body))
    mock_up = cache.run(settle_fit, FitInputs(mock_up_laced, body))
    proposal = None
    if current is not None:
        inputs = ProposalInputs.of(build, belief, body, aimed, aimed_pattern, same=current.made_for == asked.asked)
        proposal = cache.run(propose, inputs)
    odds = None
    if build.fittings:
        following = proposal.pattern if proposal else pattern
        odds = cache.run(work_out_odds, OddsInputs.of(build, belief, body, aimed, following))
    prediction = proposal.next_mock_up if proposal else None
    if prediction is None and build.fittings and not kind.tied:
        prediction = cache.run(foresee_mock_up, ForeseeInputs(belief, mock_up_laced))

    # bones, front, back
    hardware, said = _plan_hardware(build, unit, cache, halves, pattern, aimed, body, final)

    # layers: plies, what they carry and come to, the ways to make them up
    lefts = hardware.left.bones if hardware.left else None
    plied = cache.run(
        lay_layers,
        LayersInputs.of(
            build, halves, pattern.allowances, hardware.bones, lefts, final, taped=hardware.waist_tape is not None
        ),
    )

    # trims: what lies on it and hangs from it, and whether it is held
    trimmed = TrimsLaid(None, ())
    if build.trims.anything:
        trimmed = cache.run(
            lay_trims,
            TrimsInputs.of(
                build,
                halves,
                pattern.front_panels,
                hardware.bones,
                lefts,
                hardware.holes,
                hardware.opening,
                final,
                plied.plan.grams + (hardware.boning.grams if hardware.boning else 0.0),
            ),
        )

    apart = words_apart(learned) if learned else []
    sat = [
        *check_seat(build, learned, pattern, mock_up),
        *check_dug(build, learned, pattern, body, hardware.bones),
    ]
    findings = [
        *findings,
        *check_guesses(body),
        *check_padding(build, body, pattern.top.side_mm, pattern.hem.side_mm),
        *check_stand(build.stand, stand, pattern.top, pattern.hem),
        *check_aim(
            build.target,
            aimed,
            body,
            build.wearer.new_to_lacing,
            practice,
            final.waist_gap_mm,
            final.waist_pressure_kpa,
            laced=build.back.laced,
        ),
        *check_closing(build, final),
        *(check_typed(pattern, body) if current else []),
        *(check_trueing(laid.seams, len(pattern.panels)) if current is None else []),
        *check_lines(aimed_pattern, body, build.wearer.waist_to_lap_sitting_mm),
        *check_fit(final, practice, build.target.ease_at),
        *_check_edges(build, cache, pattern, aimed, body, final),
        *sat,
        *check_fittings(build, learned, proposal, pattern, flipped),
        *_check_decided(build, pattern, final),
        *said,
        *plied.findings,
        *trimmed.findings,
    ]
    return Plan.model_construct(
        body=body,
        stand=stand,
        pads=pads,
        stack=build.stack,
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
        made_for=asked.asked,
        verdict=verdict(
            build,
            odds,
            proposal is not None,
            learned.ambiguity if learned else None,
            apart[0].level if apart else None,
            next((one for one in sat if one.code in SETTLED_FIRST and one.severity == "caution"), None),
        ),
        mock_up_plan=plan_mock_up(
            build, body, proposal.mock_up if proposal else mock_up, final, proposal.alteration if proposal else None
        ),
        cup_boning=cup_boning(shown.cup, practice),
        layers=plied.plan,
        trims=trimmed.plan,
        **dict(hardware),
        findings=tuple(findings),
    )


def _plan_hardware(
    build: Build,
    unit: Unit,
    cache: StageCache,
    halves: Halves,
    pattern: Pattern,
    aimed: Aim,
    body: Body,
    final: Fit,
) -> tuple[HardwarePlan, tuple[Finding, ...]]:
    """Every channel, bone, stud and hole of a pattern, and what is said of it. Raises Unmakeable for what can't be."""
    practice, kinds = build.practice, build.bone_kinds

    # front: what opens, and how she gets in
    busk, opening = cache.run(open_front, OpeningInputs.of(build, halves, pattern.front_panels, unit))
    ways = cache.run(find_ways_in, WaysInputs.of(build, final, body, opening))

    # bones: channels, what lies in them, what they come to
    around = around_channels(build, pattern, opening, unit)
    boned, left = _bone_halves(build, unit, cache, halves, pattern, opening)
    bones, layout = boned.bones, boned.edge_layout
    beside = next((kinds[bone.kind] for bone in bones if bone.channel == "CF"), None)

    # back: rows, lace, what lies behind
    holes = cache.run(set_holes, HolesInputs.of(build, halves, final, layout))
    getting_in = ways[0].gap_mm if ways else 0.0
    back = cache.run(lace_back, BackInputs.of(build, holes, final, aimed, opening, pattern, getting_in))

    planned = HardwarePlan.model_construct(
        bones=bones,
        between=boned.between,
        left=LeftHardware(
            bones=left.bones,
            unboned=left.unboned,
            mock_up_bones_mm=mock_up_bones(build, left.bones, around),
        )
        if left
        else None,
        boning=cache.run(
            total, TotalsInputs.of(build, bones, halves.right, pattern, final, left.bones if left else None)
        ),
        unboned=boned.unboned,
        unboned_limit_mm=around.unboned_mm,
        mock_up_bones_mm=mock_up_bones(build, bones, around),
        reuse=cache.run(reuse, ReuseInputs(bones, left.bones if left else None, build.bones.cut, practice)),
        before=_before(build, unit, cache, final),
        sections=cache.run(
            draw_sections,
            SectionsInputs.of(build, bones, layout, len(pattern.panels)),
        ),
        busk=busk,
        opening=opening,
        ways=ways,
        getting_in=ways[0] if ways else None,
        holes=holes,
        lace=back.lace,
        walk=back.walk,
        front_walk=back.front_walk,
        front_lace=back.front_lace,
        modesty=back.modesty,
        waist_tape=back.tape,
        lace_mm=back.lace.cut_mm if back.lace else None,
    )
    findings = (
        *boned.findings,
        *(of_the_left(left, boned) if left else ()),
        *check_front(busk, opening, build.front, beside),
        *check_ways(build, ways),
        *back.findings,
    )
    return planned, findings


def _before(build: Build, unit: Unit, cache: StageCache, final: Fit) -> Before | None:
    """The hardware as the version before had it, with the same choices; None where there is none."""
    if len(build.versions) < 2 or build.current is None:
        return None
    older = build.version_numbered(build.current.parent or build.current.number - 1)
    if older is None:
        return None
    halves = _lay_halves(build, cache, older.pattern)
    busk, opening = cache.run(open_front, OpeningInputs.of(build, halves, older.pattern.front_panels, unit))
    boned, _ = _bone_halves(build, unit, cache, halves, older.pattern, opening)
    holes = cache.run(set_holes, HolesInputs.of(build, halves, final, boned.edge_layout))
    return Before(
        version=older.number,
        bones_mm={bone.channel: bone.length_mm for bone in boned.bones},
        busk_mm=busk.length_mm,
        rows=len(holes.z_mm) if holes else 0,
    )


def _check_edges(
    build: Build, cache: StageCache, pattern: Pattern, aimed: Aim, body: Body, final: Fit
) -> list[Finding]:
    """Soft lacing edges that let the gap bow, settled once more with stiff ones."""
    if (
        not build.back.laced
        or abs(final.shape.bow_mm) <= build.practice.parallel_mm
        or build.bones.lacing_edge == STIFF
    ):
        return []
    stiff = final_lacing(with_stiff_edges(build), pattern, aimed)
    return check_edges(build, final, cache.run(settle_fit, FitInputs(stiff, body)))


def _check_decided(build: Build, pattern: Pattern, final: Fit) -> list[Finding]:
    """What her own changes, or the ease she asked for, make of the gap where it is not as wished: never turned back."""
    wished, off = build.gap_mm, final.shape
    amiss = max(abs(off.mean_mm - wished), abs(off.tilt_mm) / 2)
    if amiss < build.practice.worth_changing_mm / 2 or GARMENT_KINDS[build.kind].tied:
        return []
    by_level: dict[str, tuple[LevelName, float]] = {}
    if pattern.decided:
        most = max(pattern.decided, key=lambda one: abs(one.whole_mm))
        by_level["by_hand.in" if most.whole_mm < 0 else "by_hand.out"] = most.level, most.whole_mm
    elif build.target.ease_at:
        level, ease = max(build.target.ease_at.items(), key=lambda one: abs(one[1]))
        by_level["by_ease.in" if ease < 0 else "by_ease.out"] = level, ease
    return [
        finding(
            "by_hand" if code.startswith("by_hand") else "by_ease",
            "pattern",
            "advice",
            where=LEVEL_LABELS[level],
            numbers={
                "changed_mm": abs(changed),
                "gap_mm": off.mean_mm,
                "wished_mm": wished,
                "tilt_mm": abs(off.tilt_mm),
            },
            said=code,
            level=level,
        )
        for code, (level, changed) in by_level.items()
    ]


def _stop(error: CraftError) -> Finding:
    """Why nothing could be planned."""
    roots: dict[str, Stage] = {"wearer": "wearer", "mock_up": "mockups", "bones": "bones", "front": "front"}
    unsettled = isinstance(error, Unsettled)
    return finding(
        "unsettled" if unsettled else "unmakeable",
        "back" if error.at.startswith("back.") else roots.get(error.at.split(".")[0], "pattern"),
        "stop",
        at=None if unsettled else error.at,
        said=error.message.code,
        also=error.message.given,
    )
