"""plan(build) -> Plan: the one pipeline, stage after stage, from the wearer to the lace.

The Plan is never stored as truth and never edited. A reader who follows `_plan_garment` from top to bottom meets every
stage once; no stage reaches back. Each is a function of one frozen record, taken from the build (and from what the
stages before came to) once; the cache keeps results under those records. The Plan carries messages, not sentences.
"""

from dataclasses import dataclass

from fuseau.craft.base.errors import Unmakeable, Unsettled
from fuseau.craft.base.findings import Finding
from fuseau.craft.boning.totals import Boning, cup_boning
from fuseau.craft.fit.fit import Fit, check_fit
from fuseau.craft.fit.target import check_aim
from fuseau.craft.fitting.inference import Belief
from fuseau.craft.pattern.checks import check_lines, check_trueing
from fuseau.craft.pattern.dress_stand import check_stand, padding
from fuseau.craft.pattern.typed_widths import check_typed
from fuseau.craft.wearer.body import missing_measures
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import check_measures
from fuseau.document.build import Build
from fuseau.planning.cache import StageCache
from fuseau.planning.fittings.checks import check_fittings, words_apart
from fuseau.planning.fittings.dug import check_dug
from fuseau.planning.fittings.evidence import stale_versions, with_side_seam_seen
from fuseau.planning.fittings.headline import headline
from fuseau.planning.fittings.next_mock_up import plan_mock_up
from fuseau.planning.fittings.observations import InferenceInputs, UpsideDownInputs, infer_belief, read_upside_down
from fuseau.planning.fittings.odds import OddsInputs, work_out_odds
from fuseau.planning.fittings.proposal import ProposalInputs, propose
from fuseau.planning.fittings.seat import check_seat
from fuseau.planning.fittings.verdict import SETTLED_FIRST, verdict
from fuseau.planning.garment.fits import FitInputs, ForeseeInputs, foresee_mock_up, settle_fit
from fuseau.planning.garment.lacings import final_lacing, mock_up_lacing
from fuseau.planning.hardware import bone_halves, lay_halves, plan_hardware
from fuseau.planning.plan import Plan
from fuseau.planning.said import check_decided, check_soft_edges, lessons, meant_beside, stopped_by
from fuseau.planning.stages.bones import (
    BonesLaid,
    TotalsInputs,
    total,
)
from fuseau.planning.stages.front import OpeningInputs, check_closing, open_front
from fuseau.planning.stages.layers import LayersInputs, lay_layers
from fuseau.planning.stages.pads import check_padding, made_pads
from fuseau.planning.stages.pattern import AimInputs, ShownInputs, aim_pattern, show_pattern
from fuseau.planning.stages.trims import TrimsInputs, TrimsLaid, lay_trims
from fuseau.planning.stages.wearer import MeasuredInputs, ask_for, check_guesses, measured_body


def plan(build: Build, *, cache: StageCache | None = None) -> Plan:
    """Everything that follows from a build. Deterministic; never raises for a valid Build.

    What cannot be made ends in a finding of severity "stop" and
    `unmakeable`; missing measures end in `missing`, with nothing planned that would need them.
    """
    kind = GARMENT_KINDS[build.kind]
    findings = [*check_measures(build.wearer, kind.levels, build.practice), *lessons(build)]
    missing = missing_measures(build.wearer, kind.needed)
    if missing:
        return Plan(missing=tuple(missing), findings=(*findings, ask_for(missing)))
    try:
        return _plan_garment(build, cache or StageCache(), findings)
    except (Unmakeable, Unsettled) as error:
        return Plan(unmakeable=True, findings=(*findings, stopped_by(error)))


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
        halves = lay_halves(build, cache, pattern)
        final = cache.run(settle_fit, FitInputs(final_lacing(build, pattern, aimed), body))
        _, opening = cache.run(open_front, OpeningInputs.of(build, halves, pattern.front_panels))
        right, left = bone_halves(build, cache, halves, pattern, opening)
    except (Unmakeable, Unsettled):
        return None
    lefts = left.bones if left else None
    return BonedSo(
        final, right, cache.run(total, TotalsInputs.of(build, right.bones, halves.right, pattern, final, lefts))
    )


def _plan_garment(build: Build, cache: StageCache, findings: list[Finding]) -> Plan:
    kind, practice, current = GARMENT_KINDS[build.kind], build.practice, build.current

    # wearer: what the tape says, then what the fittings taught
    belief, flipped = believed(build, cache)
    body, learned = with_side_seam_seen(build, belief.body), belief.learned if build.fittings else None

    pads = made_pads(build, belief.unknowns.prior)

    # pattern: what to aim for, and the pattern that is worked from
    asked = AimInputs.of(build, body)
    aimed, aimed_pattern = cache.run(aim_pattern, asked)
    pattern = current.pattern if current else aimed_pattern
    halves = lay_halves(build, cache, pattern)
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
    hardware, said = plan_hardware(
        build=build, cache=cache, halves=halves, pattern=pattern, aimed=aimed, body=body, final=final
    )

    # layers: plies, what they carry and come to, the ways to make them up
    lefts = hardware.left.bones if hardware.left else None
    plied = cache.run(
        lay_layers,
        LayersInputs.of(
            build,
            halves,
            pattern,
            shown.pieces,
            hardware.bones,
            lefts,
            final,
            opening=hardware.opening,
            modesty=hardware.modesty,
            taped=hardware.waist_tape is not None,
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
                plied.plan.grams
                + (hardware.boning.grams if hardware.boning else 0.0)
                + (hardware.modesty.bones_grams if hardware.modesty else 0.0),
            ),
        )

    apart = words_apart(learned) if learned else []
    sat = [
        *check_seat(build, learned, pattern, mock_up),
        *check_dug(build, learned, pattern, body, hardware.bones),
    ]
    findings = [
        *findings,
        *check_guesses(body, practice.tape_spread_guessed_mm),
        *check_padding(build, body, pattern.top.side_mm, pattern.hem.side_mm),
        *check_stand(build.stand, stand, pattern.top, pattern.hem),
        *check_aim(
            target=build.target,
            aimed=aimed,
            body=body,
            new_to_lacing=build.wearer.new_to_lacing,
            practice=practice,
            waist_gap_mm=final.waist_gap_mm,
            pressed_kpa=final.waist_pressure_kpa,
            laced=build.back.laced,
        ),
        *check_closing(build, final),
        *(check_typed(pattern, body, meant_beside(build, body)) if current else []),
        *(check_trueing(laid.seams, len(pattern.panels)) if current is None else []),
        *check_lines(aimed_pattern, body, build.wearer.waist_to_lap_sitting_mm),
        *check_fit(final, practice, build.target.ease_at),
        *check_soft_edges(build, cache, pattern, aimed, body, final),
        *sat,
        *check_fittings(build, learned, proposal, pattern, flipped),
        *check_decided(build, pattern, final),
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
        headline=headline(build, belief, shown.zero),
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
