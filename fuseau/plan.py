"""plan(build) -> Plan: the one pipeline, stage after stage, from the wearer to the lace.

The Plan is never stored as truth and never edited. A reader who follows `plan` from top to bottom meets every
stage once; no stage reaches back.
"""

from collections.abc import Callable
from typing import Any, TypeVar

import numpy as np

from fuseau.build import Brief, Build, PatternVersion
from fuseau.craft.alterations import Alteration, alter, let_girths, marks, same_cut
from fuseau.craft.back import BackChoices, cut_lace, grommet_count, rows
from fuseau.craft.bones import BoneChoices, check_bones, edge_stiffness, lacing_edge_layout, lay_bones
from fuseau.craft.drafting import back_share_of_seams, draft, front_halves, front_share_of_seams, suggest_edges
from fuseau.craft.findings import Change, Finding, Mend
from fuseau.craft.fit import Fit, Lacing, check_fit, fit
from fuseau.craft.front import FrontChoices, check_front, choose_busk, getting_in
from fuseau.craft.layers import take_up
from fuseau.craft.learning import Learned, Tried, learn
from fuseau.craft.lengths import Unit, format_length
from fuseau.craft.notions import BONES, GROMMET, BoneName
from fuseau.craft.pattern import EdgeLine, Pattern
from fuseau.craft.record import Unmakeable
from fuseau.craft.settling import Unsettled
from fuseau.craft.stand import check_stand, padding
from fuseau.craft.target import Aim, Target, aim, check_aim, pull_of, settle_parallel
from fuseau.craft.tracing import check_typed
from fuseau.craft.trueing import Laid, lay_flat
from fuseau.craft.wearer import LEVEL_LABELS, Body, LevelName, believe, check_measures, missing_measures
from fuseau.planned import Holes, Plan, PlannedPattern, Proposal

Result = TypeVar("Result")


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
    findings = check_measures(build.wearer, build.practice, unit)
    missing = missing_measures(build.wearer)
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
    measured = kept.stage("believe", believe, build.wearer, build.zones, practice)
    body, learned = kept.stage("learn", _learn, _seen(build), measured)

    # pattern: what to aim for, and the pattern that is worked from
    top, hem = _edges(build, body)
    shaped = _shaped(build)
    aimed, aimed_pattern = kept.stage("aim", _aim, shaped, body, top, hem)
    current = build.current
    pattern = current.pattern if current else aimed_pattern
    _check_gap(build.target.gap_mm, pattern, unit)
    laid = kept.stage("lay", lay_flat, pattern, practice)

    # fit: as it will be worn, and as a mock-up
    final = kept.stage("final", fit, final_lacing(build, pattern, aimed), body)
    mock_up = kept.stage("mock-up", fit, mock_up_lacing(build, pattern), body)
    proposal = kept.stage("propose", _propose, shaped, body, aimed, aimed_pattern, learned) if current else None

    # the dress stand that the work hangs on
    stand = padding(build.stand, body, practice.stand_near_mm)

    # bones, front, back
    cf = laid.panels[0].cf_edge
    busk = choose_busk(cf[-1][1], cf[0][1], build.front, practice, unit)
    wrapping = build.layers.total_mm - build.layers.lining_mm
    bones = kept.stage("bones", lay_bones, laid, build.bones, busk.width_mm, GROMMET.flange_mm, wrapping, practice)
    way_in = getting_in(final, busk, practice, unit)
    holes = _holes(build, laid, wrapping)
    lace = cut_lace(holes.z_mm, final.shape.mean_mm, way_in.gap_mm, holes.inset_mm, practice)

    findings = [
        *findings,
        *_check_guesses(body, unit),
        *check_stand(build.stand, stand, pattern.top, pattern.hem, unit),
        *check_aim(build.target, aimed, body, build.wearer.new_to_lacing, practice, unit),
        *(check_typed(pattern, body, unit) if current else []),
        *_check_lines(build, body, aimed_pattern, unit),
        *check_fit(final, practice, unit),
        *_check_edges(build, pattern, aimed, body, final, unit),
        *_check_readings(learned, unit),
        *check_bones(bones, laid.panels[-1], holes.edge_layout_mm["needs"]),
        *check_front(busk, build.front),
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
        pattern=_planned(current, pattern, laid),
        drafted=None if current else pattern,
        seams=laid.seams,
        learned=learned,
        proposal=proposal,
        bones=bones,
        busk=busk,
        getting_in=way_in,
        holes=holes,
        lace=lace,
        lace_mm=lace.cut_mm,
        findings=tuple(findings),
    )


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


def _seen(build: Build) -> Build:
    """The build without what no fitting depends on, so that wishes can change without learning anew."""
    return Build(
        target=Target(job=build.target.job),
        layers=build.layers,
        versions=build.versions,
        fittings=build.fittings,
        practice=build.practice,
    )


def _shaped(build: Build) -> Build:
    """The build without what the pattern does not depend on: brief, front, back, bones but for the lacing edge."""
    edge = BoneChoices(lacing_edge=build.bones.lacing_edge)
    return build.model_copy(update={"brief": Brief(), "front": FrontChoices(), "back": BackChoices(), "bones": edge})


def _tried(build: Build) -> list[Tried]:
    found = []
    for fitting in build.fittings:
        version = build.version_numbered(fitting.version)
        if version is None:
            continue
        lacing = Lacing(
            pattern=version.pattern,
            stack=fitting.made_of.stack,
            edge_n_m2=_edge_of(build, fitting.made_of.edge_bone),
            pull_n_per_m=pull_of(fitting.pull, build.target.job, build.practice),
            practice=build.practice,
        )
        found.append(
            Tried(
                number=fitting.number,
                lacing=lacing,
                z_mm=np.array([reading.z_mm for reading in fitting.readings]),
                gap_mm=np.array([reading.gap_mm for reading in fitting.readings]),
                spread_mm=np.full(len(fitting.readings), build.practice.ruler_spread_mm),
            )
        )
    return found


def _learn(build: Build, measured: Body) -> tuple[Body, Learned | None]:
    tried = _tried(build)
    return learn(measured, tried) if tried else (measured, None)


# --- pattern ---------------------------------------------------------------------------------------------


def _edges(build: Build, body: Body) -> tuple[EdgeLine, EdgeLine]:
    """Top line and hem: as wished, else as the current version has them, else as suggested."""
    current = build.current
    top, hem = (current.pattern.top, current.pattern.hem) if current else suggest_edges(build.wearer, body)
    tops, hems = build.draft.top, build.draft.hem

    def chosen(wish: float | None, usual: float, sign: int) -> float:
        return usual if wish is None else sign * wish

    return (
        EdgeLine(**{name: chosen(getattr(tops, name), getattr(top, name), 1) for name in EdgeLine.model_fields}),
        EdgeLine(**{name: chosen(getattr(hems, name), getattr(hem, name), -1) for name in EdgeLine.model_fields}),
    )


def _edge_of(build: Build, bone: BoneName) -> float:
    wrapping = build.layers.total_mm - build.layers.lining_mm
    return edge_stiffness(BONES[bone], GROMMET.flange_mm, wrapping, build.practice)


def final_lacing(build: Build, pattern: Pattern, aimed: Aim) -> Lacing:
    """A pattern in its final layers and bones, pulled as the aim needs."""
    return Lacing(
        pattern=pattern,
        stack=build.layers,
        edge_n_m2=_edge_of(build, build.bones.lacing_edge),
        pull_n_per_m=aimed.pull_n_per_m,
        practice=build.practice,
    )


def mock_up_lacing(build: Build, pattern: Pattern) -> Lacing:
    """A pattern as a mock-up, in its cloth and bones, pulled as the maker says."""
    return Lacing(
        pattern=pattern,
        stack=build.mock_up.stack,
        edge_n_m2=_edge_of(build, build.mock_up.edge_bone),
        pull_n_per_m=pull_of(build.target.pull, build.target.job, build.practice),
        practice=build.practice,
    )


def _aim(build: Build, body: Body, top: EdgeLine, hem: EdgeLine) -> tuple[Aim, Pattern]:
    """The girths to sew, and the pattern that has them: drafted, or altered from the current version."""
    target, practice, count = build.target, build.practice, build.draft.panels
    takes = take_up(build.layers, 2 * (count - 1), practice)
    first = aim(target, body, (hem.cb_mm, top.cb_mm), takes, build.layers.stretch_per_n, practice)
    current = build.current

    def drafted(sewn: tuple[float, ...]) -> Pattern:
        girths = np.array(sewn)
        if current is None or len(current.pattern.panels) != count:
            return draft(body, girths, target.gap_mm, count, top, hem, build.draft.allowances, practice)
        return alter(current.pattern, _alteration(current.pattern, body, girths, target.gap_mm, top, hem)).model_copy(
            update={"allowances": build.draft.allowances}
        )

    return settle_parallel(
        first, target.gap_mm, body, drafted, build.layers, _edge_of(build, build.bones.lacing_edge), practice
    )


def _alteration(
    pattern: Pattern, body: Body, girths_mm: np.ndarray, gap_mm: float, top: EdgeLine, hem: EdgeLine
) -> Alteration:
    """From a version to these sewn girths, by the draft's shares; edges where they moved."""
    shape = pattern.shape
    front = front_halves(body, girths_mm, gap_mm)
    count, in_front = len(pattern.panels), pattern.front_panels
    shares = (
        np.array([front_share_of_seams(in_front, level.name) for level in body]),
        np.array([back_share_of_seams(count - in_front, level.name) for level in body]),
    )
    was_front = shape.front_half(shape.nominal)
    was_back = shape.sewn_girth(shape.nominal) / 2 - was_front
    change = let_girths(pattern, front - was_front, girths_mm / 2 - front - was_back, shares)
    return change.model_copy(
        update={"top": top if top != pattern.top else None, "hem": hem if hem != pattern.hem else None}
    )


def _propose(build: Build, body: Body, aimed: Aim, aimed_pattern: Pattern, learned: Learned | None) -> Proposal | None:
    """The next version, when what is now known or wished differs enough from the current one."""
    current = build.current
    if current is None:
        return None
    old, new = current.pattern.shape, aimed_pattern.shape
    redraft = not same_cut(current.pattern, aimed_pattern)
    change = np.zeros(len(new.nominal)) if redraft else new.sewn_girth(new.nominal) - old.sewn_girth(old.nominal)
    edges_change = (current.pattern.top, current.pattern.hem) != (aimed_pattern.top, aimed_pattern.hem)
    worth = build.practice.worth_changing_mm
    same_allowances = current.pattern.allowances == aimed_pattern.allowances
    if not redraft and not edges_change and same_allowances and np.max(np.abs(change)) < worth:
        return None
    alteration = None
    if not redraft:
        girths = np.array(aimed.sewn_mm)
        alteration = _alteration(
            current.pattern, body, girths, build.target.gap_mm, aimed_pattern.top, aimed_pattern.hem
        )
    tried = [fitting.number for fitting in build.fittings if fitting.version == current.number]
    return Proposal(
        reason=_reason(build, current, learned, redraft, edges_change),
        fitting=tried[-1] if tried else None,
        redraft=redraft,
        pattern=aimed_pattern,
        alteration=alteration,
        marks=tuple(marks(current.pattern, alteration)) if alteration else (),
        sewn_change_mm={station.name: float(mm) for station, mm in zip(aimed_pattern.stations, change, strict=True)},
        edges_change=edges_change,
        panels=lay_flat(aimed_pattern, build.practice).panels,
        mock_up=fit(mock_up_lacing(build, aimed_pattern), body),
        final=fit(final_lacing(build, aimed_pattern, aimed), body),
    )


def _reason(build: Build, current: PatternVersion, learned: Learned | None, redraft: bool, edges_change: bool) -> str:
    if redraft:
        return f"{build.draft.panels} panels in each half instead of {len(current.pattern.panels)}"
    tried = [fitting for fitting in build.fittings if fitting.version == current.number]
    if tried and learned:
        most = max(learned.levels, key=lambda level: abs(level.believed_mm - level.measured_mm))
        by = most.believed_mm - most.measured_mm
        if abs(by) >= 2:
            return (
                f"fitting {tried[-1].number}: {LEVEL_LABELS[most.name].lower()} "
                f"{abs(by):.0f} mm {'bigger' if by > 0 else 'smaller'} than the tape said"
            )
        return f"fitting {tried[-1].number}"
    return "top line or hem moved" if edges_change else "measures or wishes changed"


def _planned(current: PatternVersion | None, pattern: Pattern, laid: Laid) -> PlannedPattern:
    return PlannedPattern(
        version=current.number if current else None,
        panels=laid.panels,
        front_panels=pattern.front_panels,
        top=pattern.top,
        hem=pattern.hem,
    )


def _check_gap(gap_mm: float, pattern: Pattern, unit: Unit) -> None:
    back = 2 * float(pattern.shape.widths(np.array([0.0]))[0, -1])
    if gap_mm > back:
        raise Unmakeable(
            "target.gap_mm",
            f"A gap of {format_length(gap_mm, unit)} is wider than the two back panels together: "
            f"0 to {format_length(back, unit)}.",
        )


def _check_lines(build: Build, body: Body, pattern: Pattern, unit: Unit) -> list[Finding]:
    """A hem that meets the lap when sitting, and a top line above the last girth taken."""
    findings = []
    lap = build.wearer.waist_to_lap_sitting_mm
    if lap is not None and -pattern.hem.cf_mm > lap - 10:
        better = lap - 20
        findings.append(
            Finding(
                code="hem_on_lap",
                stage="pattern",
                severity="caution",
                at="draft.hem.cf_mm",
                where="Hem at CF",
                sentence=f"Sitting, the lap is {format_length(lap, unit)} below the waist and the hem "
                f"{format_length(-pattern.hem.cf_mm, unit)}: it would push up.",
                numbers={"hem_mm": -pattern.hem.cf_mm, "lap_mm": lap},
                mend=Mend(
                    label=f"Hem at {format_length(better, unit)}",
                    changes=(Change(at="draft.hem.cf_mm", value=better),),
                ),
            )
        )
    over = pattern.top.side_mm - body["underbust"].side_mm
    if over > 45:
        findings.append(
            Finding(
                code="top_above_measures",
                stage="pattern",
                severity="caution",
                at="draft.top.side_mm",
                where="Top line",
                sentence=f"The top line lies {format_length(over, unit)} above the underbust, where no girth is "
                "measured: it goes straight on from there.",
                numbers={"over_mm": over},
            )
        )
    return findings


# --- fit -------------------------------------------------------------------------------------------------


def _check_edges(build: Build, pattern: Pattern, aimed: Aim, body: Body, final: Fit, unit: Unit) -> list[Finding]:
    """Whether soft lacing edges let the gap bow, and what flat steel would make of it."""
    stiff: BoneName = "flat_12"
    bow = final.shape.bow_mm
    if abs(bow) <= build.practice.parallel_mm or build.bones.lacing_edge == stiff:
        return []
    stiffer = build.model_copy(update={"bones": build.bones.model_copy(update={"lacing_edge": stiff})})
    mended = fit(final_lacing(stiffer, pattern, aimed), body).shape.bow_mm
    if abs(mended) > abs(bow) - 1:
        return []
    kind = BONES[build.bones.lacing_edge].label
    return [
        Finding(
            code="soft_edges",
            stage="bones",
            severity="caution",
            at="bones.lacing_edge",
            where="CB",
            sentence=f"With {kind} at the lacing edge the gap bows {abs(bow):.0f} mm; {BONES[stiff].label} brings "
            f"it to {abs(mended):.0f}.",
            numbers={"bow_mm": bow, "mended_bow_mm": mended},
            mend=Mend(
                label=f"{BONES[stiff].label[0].upper()}{BONES[stiff].label[1:]} at the lacing edge",
                changes=(Change(at="bones.lacing_edge", value=stiff),),
            ),
        )
    ]


def _check_readings(learned: Learned | None, unit: Unit) -> list[Finding]:
    if learned is None:
        return []
    return [
        Finding(
            code="reading_contradicts",
            stage="mockups",
            severity="caution",
            where=f"Fitting {reading.fitting}",
            sentence=f"In fitting {reading.fitting} the gap of {reading.read_mm:.0f} mm at "
            f"{format_length(reading.z_mm, unit)} does not go with the rest, which expect "
            f"{reading.expected_mm:.0f}: read it again.",
            numbers={"read_mm": reading.read_mm, "expected_mm": reading.expected_mm},
        )
        for reading in learned.readings
        if reading.spreads_off > 3
    ]


# --- back ------------------------------------------------------------------------------------------------


def _holes(build: Build, laid: Laid, wrapping_mm: float) -> Holes:
    practice = build.practice
    cb = laid.panels[-1].cb_edge
    heights = rows(cb[-1][1], cb[0][1], build.back.pitch_mm or practice.row_pitch_mm, practice)
    layout = lacing_edge_layout(BONES[build.bones.lacing_edge], GROMMET.flange_mm, wrapping_mm, practice)
    count, spares = grommet_count(heights)
    return Holes(
        z_mm=heights,
        inset_mm=layout["grommets"],
        count=count,
        spares=spares,
        label=GROMMET.label,
        edge_layout_mm=layout,
    )


def _stage_of(at: str) -> Any:
    return {"wearer": "wearer", "bones": "bones", "front": "front", "back": "back"}.get(at.split(".")[0], "pattern")
