"""The pattern stage of the plan: edges, what to aim for, the pattern that has it, and the next version proposed."""

import numpy as np

from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.base.record import Unmakeable
from fuseau.craft.boning.bones import edge_bones, edge_stiffness
from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.girth_solver import settle_parallel
from fuseau.craft.fit.target import Aim, aim, hang, pull_of
from fuseau.craft.fitting.allocation import place
from fuseau.craft.fitting.inference import Belief, Learned, foresee
from fuseau.craft.materials.catalogue import GROMMETS, BoneName
from fuseau.craft.materials.stack import take_up
from fuseau.craft.pattern.alterations import Alteration, alter, edited, lines, marks, same_cut
from fuseau.craft.pattern.cups import Cup, make_cup, usual_bust_points, wire_line
from fuseau.craft.pattern.drafting import draft, suggest_edges
from fuseau.craft.pattern.edge_curves import shaped
from fuseau.craft.pattern.hand_edits import places_of_seams
from fuseau.craft.pattern.one_piece import join_panels
from fuseau.craft.pattern.pattern import EdgeLine, Pattern
from fuseau.craft.pattern.refit import change_girths
from fuseau.craft.pattern.shoulders import lay_shoulders
from fuseau.craft.pattern.trueing import Laid, lay_flat
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.craft.wearer.measures import LEVEL_LABELS, ZERO_LABELS, LevelName
from fuseau.document.build import Build, HemWish, PatternVersion, TopWish
from fuseau.planning.fitted import moved_edges, pinched_by_seam
from fuseau.planning.plan import PlannedPattern, Proposal


def edges(build: Build, body: Body) -> tuple[EdgeLine, EdgeLine]:
    """Top line and hem: as wished, else as the current version has them, else as suggested for the kind."""
    current, wish = build.current, build.draft
    if current:
        stands_top, stands_hem = current.pattern.top, current.pattern.hem
        top, hem = moved_edges(build, stands_top, stands_hem)
        return _wished(wish.top, top, 1, stands_top), _wished(wish.hem, hem, -1, stands_hem)
    top, hem = suggest_edges(build.wearer, body, build.kind)
    top, hem = _wished(wish.top, top, 1), _wished(wish.hem, hem, -1)
    cup = cup_of(build, body)
    if cup is not None:
        top = wire_line(top, cup, body, build.wearer.bust_points_mm)
    elif wish.top.shape != "plain":
        top = shaped(top, wish.top.shape, "top", bust_place(build, body))
    if wish.hem.shape != "plain":
        hem = shaped(hem, wish.hem.shape, "hem", bust_place(build, body))
    return top, hem


def _wished(wish: TopWish | HemWish, usual: EdgeLine, sign: int, stands: EdgeLine | None = None) -> EdgeLine:
    """The line with the heights that are wished; where one `stands` so already, the wish is met and says no more."""
    heights = {name: getattr(wish, name) for name in ("cf_mm", "side_mm", "cb_mm")}
    wished = {name: sign * mm for name, mm in heights.items() if mm is not None}
    if stands is not None:
        wished = {name: mm for name, mm in wished.items() if abs(mm - getattr(stands, name)) > 0.05}
    return usual.model_copy(update=wished)


def bust_place(build: Build, body: Body) -> float:
    """Where the bust point lies between CF (0) and the side (1)."""
    if "bust" not in body:
        return 0.45
    half = body["bust"].front_share * body["bust"].girth_mm / 2
    return min(0.8, max(0.2, (build.wearer.bust_points_mm or usual_bust_points(body)) / 2 / half))


def cup_of(build: Build, body: Body) -> Cup | None:
    """The cup of a build that has cups."""
    if not build.draft.cups or "bust" not in body:
        return None
    return make_cup(body, build.wearer.bust_points_mm, build.practice)


def edge_of(build: Build, bone: BoneName) -> float:
    """Stiffness of one lacing edge with one kind of bone in both channels, N·m²."""
    wrapping = build.layers.total_mm - build.layers.lining_mm
    return edge_stiffness(build.bone_kinds[bone], GROMMETS[build.back.holes].flange_mm, wrapping, build.practice)


def final_edge(build: Build) -> float:
    """Stiffness of one lacing edge with the bones that are chosen for it, N·m²."""
    wrapping = build.layers.total_mm - build.layers.lining_mm
    outer, inner, counts = edge_bones(build.bones, build.bone_kinds)
    return edge_stiffness(outer, GROMMETS[build.back.holes].flange_mm, wrapping, build.practice, inner, counts)


def final_lacing(build: Build, pattern: Pattern, aimed: Aim) -> Lacing:
    """A pattern in its final layers and bones, pulled as the aim needs."""
    return Lacing(
        pattern=pattern,
        stack=build.layers,
        edge_n_m2=final_edge(build),
        pull_n_per_m=aimed.pull_n_per_m,
        practice=build.practice,
        tied_mm=_tied(build),
    )


def mock_up_lacing(build: Build, pattern: Pattern) -> Lacing:
    """A pattern as a mock-up, in its cloth and bones, pulled as the maker says."""
    return Lacing(
        pattern=pattern,
        stack=build.mock_up.stack,
        edge_n_m2=edge_of(build, build.mock_up.edge_bone),
        pull_n_per_m=_mock_up_pull(build),
        practice=build.practice,
        tied_mm=_tied(build),
    )


def _tied(build: Build) -> float | None:
    return build.target.gap_mm if KINDS[build.kind].tied else None


def _mock_up_pull(build: Build) -> float:
    if KINDS[build.kind].tied:
        return 0.0
    return pull_of(build.target.pull, build.target.job, build.practice)


def aim_at(build: Build, body: Body, top: EdgeLine, hem: EdgeLine) -> tuple[Aim, Pattern]:
    """The girths to sew, and the pattern that has them: drafted, or altered from the current version."""
    target, practice, count = build.target, build.practice, build.draft.panels
    takes = take_up(build.layers, 2 * (count - 1), practice)
    current = build.current

    def drafted(sewn: tuple[float, ...]) -> Pattern:
        girths = np.array(sewn)
        if current is None or len(current.pattern.panels) != count:
            fresh = draft(body, girths, target.gap_mm, count, top, hem, build.draft.allowances, practice)
            return _in_one_piece(fresh, build) if build.draft.one_piece else fresh
        return alter(current.pattern, _alteration(current.pattern, body, girths, target.gap_mm, top, hem)).model_copy(
            update={"allowances": build.draft.allowances}
        )

    if KINDS[build.kind].tied:
        hung = hang(target, body, takes, practice)
        return hung, drafted(hung.sewn_mm)
    first = aim(target, body.as_met(), (hem.cb_mm, top.cb_mm), takes, build.layers.stretch_per_n, practice)
    exact = target.job == "closed_waist" and current is None
    edge = final_edge(build)
    return settle_parallel(
        first, target.gap_mm, body, drafted, build.layers, edge, practice, waist_to_mm=0.3 if exact else 1.5
    )


def _in_one_piece(pattern: Pattern, build: Build) -> Pattern:
    """Every seam joined whose edges touch for long enough; the others stay seams."""
    panels = lay_flat(pattern, build.practice).panels
    held = []
    for seam in range(1, len(panels)):
        try:
            join_panels(panels[seam - 1 : seam + 1], (seam,))
        except Unmakeable:
            continue
        held.append(seam)
    return pattern.model_copy(update={"joined": tuple(held)})


def _alteration(
    pattern: Pattern, body: Body, girths_mm: np.ndarray, gap_mm: float, top: EdgeLine, hem: EdgeLine
) -> Alteration:
    """From a version to these sewn girths, by the draft's shares; edges where they moved."""
    return change_girths(pattern, body, girths_mm, gap_mm).model_copy(
        update={"top": top if top != pattern.top else None, "hem": hem if hem != pattern.hem else None}
    )


def propose(
    build: Build, belief: Belief, body: Body, aimed: Aim, aimed_pattern: Pattern, unit: Unit
) -> Proposal | None:
    """The next version, when what is now known or wished differs enough from the current one."""
    learned = belief.learned if build.fittings else None
    current = build.current
    if current is None:
        return None
    old, new = current.pattern.shape, aimed_pattern.shape
    redraft = not same_cut(current.pattern, aimed_pattern)
    change = np.zeros(len(new.nominal)) if redraft else new.sewn_girth(new.nominal) - old.sewn_girth(old.nominal)
    edges_change = (current.pattern.top, current.pattern.hem) != (aimed_pattern.top, aimed_pattern.hem)
    worth = build.practice.worth_changing_mm
    same_allowances = current.pattern.allowances == aimed_pattern.allowances
    pinched = {} if redraft else pinched_by_seam(build)
    if not redraft and not edges_change and same_allowances and not pinched and np.max(np.abs(change)) < worth:
        return None
    pattern, made, worked_out = aimed_pattern, None, None
    left: dict[LevelName, float] = {}
    edits = tuple(one for one in build.line_edits if one.version == current.number)
    if not redraft:
        placed = place(current.pattern, body, np.array(aimed.sewn_mm), build.target.gap_mm, build.practice, pinched)
        worked_out = placed.alteration.model_copy(
            update={
                "top": aimed_pattern.top if aimed_pattern.top != current.pattern.top else None,
                "hem": aimed_pattern.hem if aimed_pattern.hem != current.pattern.hem else None,
            }
        )
        made = edited(current.pattern, worked_out, edits)
        pattern = alter(current.pattern, made).model_copy(update={"allowances": build.draft.allowances})
        named = current.pattern.stations_named()
        left = {name: 2 * float(placed.left_mm[i]) for name, i in named.items() if abs(placed.left_mm[i]) > 0.5}
        now = pattern.shape
        change = now.sewn_girth(now.nominal) - old.sewn_girth(old.nominal)
    tried = [fitting.number for fitting in build.fittings if fitting.version == current.number]
    mock_up, final = mock_up_lacing(build, pattern), final_lacing(build, pattern, aimed)
    tied = KINDS[build.kind].tied
    return Proposal(
        reason=_reason(build, current, learned, redraft, edges_change, unit),
        fitting=tried[-1] if tried else None,
        redraft=redraft,
        pattern=pattern,
        alteration=made,
        marks=tuple(marks(current.pattern, made)) if made else (),
        lines=tuple(lines(current.pattern, worked_out, made, edits)) if made and worked_out else (),
        left_mm=left,
        by_hand=made != worked_out,
        next_mock_up=None if tied else foresee(belief, mock_up, mock_up=True),
        sewn_change_mm={name: float(change[i]) for name, i in pattern.stations_named().items()},
        edges_change=edges_change,
        panels=lay_flat(pattern, build.practice).panels,
        mock_up=fit(mock_up, body),
        final=fit(final, body),
    )


def _reason(
    build: Build, current: PatternVersion, learned: Learned | None, redraft: bool, edges_change: bool, unit: Unit
) -> str:
    if redraft and build.draft.panels == len(current.pattern.panels):
        return "drafted anew: another kind of garment, or halves that differ"
    if redraft:
        return f"{build.draft.panels} panels in each half instead of {len(current.pattern.panels)}"
    tried = [fitting for fitting in build.fittings if fitting.version == current.number]
    if tried and learned:
        most = max(learned.levels, key=lambda level: abs(level.believed_mm - level.measured_mm))
        by = most.believed_mm - most.measured_mm
        if abs(by) >= 2:
            return (
                f"fitting {tried[-1].number}: {LEVEL_LABELS[most.name].lower()} "
                f"{format_length(abs(by), unit)} {'bigger' if by > 0 else 'smaller'} than the tape said"
            )
        return f"fitting {tried[-1].number}"
    if edges_change:
        return "top line or hem moved"
    if current.changes:
        gap = format_length(build.target.gap_mm, unit, hardware=True)
        return f"so that the gap comes to {gap} after the edits by hand"
    return "measures or wishes changed"


def planned_pattern(build: Build, body: Body, pattern: Pattern, laid: Laid) -> PlannedPattern:
    """The pattern as it lies on the table: both halves where they differ, and the pieces beside the panels."""
    current = build.current
    left = pattern.left_pattern
    cup = cup_of(build, body)
    pieces = (*laid.pieces, *(cup.pieces if cup else ()))
    if build.draft.shoulder_pieces and build.kind == "neck corset":
        pieces = (*pieces, *lay_shoulders(laid, pattern.front_panels, body, build.practice.shoulder_width_mm))
    join_panels(laid.panels, pattern.joined)  # says what can't be one piece
    return PlannedPattern(
        version=current.number if current else None,
        cut=current.cut if current else False,
        zero=ZERO_LABELS[body.zero],
        panels=laid.panels,
        left_panels=lay_flat(left, build.practice).panels if left else None,
        pieces=pieces,
        cup=cup,
        front_panels=pattern.front_panels,
        top=pattern.top,
        hem=pattern.hem,
        left_top=left.top if left else None,
        left_hem=left.hem if left else None,
        top_places=tuple(places_of_seams(pattern, "top")),
        hem_places=tuple(places_of_seams(pattern, "hem")),
        gussets=pattern.gussets,
        darts=pattern.darts,
        joined=pattern.joined,
        allowances=pattern.allowances,
        bust_place=bust_place(build, body),
    )
