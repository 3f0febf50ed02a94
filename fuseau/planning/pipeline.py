"""plan(build) -> Plan: the one pipeline, stage after stage, from the wearer to the lace.

The Plan is never stored as truth and never edited. A reader who follows `plan` from top to bottom meets every
stage once; no stage reaches back.
"""

from typing import Any

from fuseau.craft.base.findings import Change, Finding, Mend, capital
from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.base.record import Unmakeable
from fuseau.craft.boning.totals import cup_boning
from fuseau.craft.closures.back import (
    BackChoices,
)
from fuseau.craft.closures.front import FrontChoices
from fuseau.craft.fit.equilibrium import Unsettled
from fuseau.craft.fit.fit import Fit, Lacing, check_fit, fit
from fuseau.craft.fit.target import Aim, Target, check_aim
from fuseau.craft.fitting.inference import Belief, Foreseen, foresee, infer
from fuseau.craft.fitting.readiness import Readiness, readiness
from fuseau.craft.fitting.value_of_information import raises
from fuseau.craft.materials.catalogue import BoneName
from fuseau.craft.pattern.checks import check_gap, check_lines
from fuseau.craft.pattern.dress_stand import check_stand, padding
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.pattern.typed_widths import check_typed
from fuseau.craft.wearer.body import Body, missing_measures
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.craft.wearer.measures import LEVEL_LABELS, LevelName, check_measures
from fuseau.document.build import Brief, Build
from fuseau.planning.cache import Kept
from fuseau.planning.fitted import hung, stale_versions
from fuseau.planning.fitting_checks import check_fittings, read_upside_down
from fuseau.planning.hardware import plan_hardware
from fuseau.planning.mockups import plan_mock_up
from fuseau.planning.observations import tried_on
from fuseau.planning.pattern import (
    aim_at,
    edge_of,
    edges,
    final_lacing,
    mock_up_lacing,
    planned_pattern,
    propose,
)
from fuseau.planning.plan import Plan

_STIFF: BoneName = "flat_12"  # what holds a lacing edge straight


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

    # bones, front, back
    hardware, said = plan_hardware(build, kept, laid, pattern, aimed, body, final, unit)
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
        *_check_halves(pattern),
        *said,
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
        cup_boning=cup_boning(shown.cup, practice),
        **dict(hardware),
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
                label=f"{capital(kinds[stiff].label)} at the lacing edge",
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


def _stage_of(at: str) -> Any:
    return {"wearer": "wearer", "bones": "bones", "front": "front", "back": "back"}.get(at.split(".")[0], "pattern")
