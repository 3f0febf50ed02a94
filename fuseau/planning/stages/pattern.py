"""The pattern's stage: edges, what to aim for, the pattern that has it, and how it lies on the table."""

import hashlib
from dataclasses import dataclass
from typing import Self

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.firmness import Firmness
from fuseau.craft.fit.girth_solver import close_edge_to_edge, settle_parallel
from fuseau.craft.fit.target import Aim, Target, aim_tied, most_pull
from fuseau.craft.materials.stack import Stack, take_up
from fuseau.craft.pattern.alterations import Alteration, alter
from fuseau.craft.pattern.cups import Cup, make_cup, usual_bust_points, wire_line
from fuseau.craft.pattern.drafting import draft, suggest_edges
from fuseau.craft.pattern.edge_curves import before_shape, shaped
from fuseau.craft.pattern.hand_edits import places_of_seams
from fuseau.craft.pattern.one_piece import join_panels
from fuseau.craft.pattern.pattern import Allowances, BlockGirth, EdgeLine, Panel, Pattern, decided_beside
from fuseau.craft.pattern.places import PlacedChange, carried, places_of, with_places
from fuseau.craft.pattern.refit import change_girths
from fuseau.craft.pattern.shoulders import lay_shoulders
from fuseau.craft.pattern.trueing import Laid, lay_flat
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS, KindName
from fuseau.craft.wearer.measures import ZERO_LABELS
from fuseau.craft.wearer.pads import along_back, girths_added
from fuseau.document.build import Build, HemWish, TopWish
from fuseau.document.fittings import EdgeSaid
from fuseau.planning.fittings.evidence import fittings_of_current, moved_edges, seen_at_places
from fuseau.planning.garment.lacings import edge_needs_mm, final_edge
from fuseau.planning.plan import PlannedPattern

_EDGE_CLEAR_MM = 1.0  # beside what lies at a lacing edge: its panel curves between the levels


@dataclass(frozen=True)
class AimInputs:
    """What the girths to sew, and the pattern that has them, follow from. `padded`: what pads take by level, mm."""

    kind: KindName
    target: Target
    panels: int
    one_piece: bool
    cups: bool
    top: TopWish
    hem: HemWish
    allowances: Allowances
    stack: Stack
    edge_n_m2: float
    practice: Practice
    body: Body
    lap_mm: float | None
    bust_points_mm: float | None
    current: Pattern | None
    edges_said: tuple[EdgeSaid, ...]
    places: tuple[PlacedChange, ...]
    laced: bool
    edge_needs_mm: float
    waist_mm: float = 0.0
    padded: tuple[float, ...] = ()

    @classmethod
    def of(cls, build: Build, body: Body) -> Self:
        """Taken from the build; `body` as fittings taught it."""
        choices, current = build.draft, build.current
        return cls(
            kind=build.kind,
            target=build.target.model_copy(update={"gap_mm": build.gap_mm}),
            panels=choices.panels,
            one_piece=choices.one_piece,
            cups=choices.cups,
            top=choices.top,
            hem=choices.hem,
            allowances=seam_allowances(build),
            stack=build.stack,
            edge_n_m2=final_edge(build),
            practice=build.practice,
            body=body,
            lap_mm=build.wearer.waist_to_lap_sitting_mm,
            bust_points_mm=build.wearer.bust_points_mm,
            current=current.pattern if current else None,
            edges_said=tuple(said for fitting in fittings_of_current(build) for said in fitting.edges),
            places=seen_at_places(build, body).places,
            laced=build.back.laced,
            edge_needs_mm=edge_needs_mm(build),
            waist_mm=choices.waist_mm,
            padded=tuple(map(float, girths_added(build.pads, build.body, build.practice.pad_gives_share)))
            if build.pads
            else (),
        )

    @property
    def asked(self) -> str:
        """A mark of all that the aim follows from but the pattern itself: the same while nothing was learned or wished.

        What a version was made for; a draft worked out again from it may come out a few millimetres otherwise.
        """
        told = (
            self.kind,
            self.laced,
            self.panels,
            self.one_piece,
            self.cups,
            self.edge_n_m2,
            self.lap_mm,
            self.bust_points_mm,
        )
        parts = [repr(told), *(one.model_dump_json() for one in (self.target, self.stack, self.practice, self.body))]
        if self.current is not None:
            parts += [amount.model_dump_json() for amount in self.current.slack]
            at_places = places_of(with_places(self.current, self.places))
            parts += [repr((place.at, round(place.cf_side_mm, 4), round(place.cb_side_mm, 4))) for place in at_places]
        parts += [repr(self.padded)] if self.padded else []
        return hashlib.sha256("|".join(parts).encode()).hexdigest()[:24]

    @property
    def cup(self) -> Cup | None:
        """The cup of a garment that has cups."""
        return _cup(self.cups, self.body, self.bust_points_mm, self.practice)


def aim_pattern(inputs: AimInputs) -> tuple[Aim, Pattern]:
    """The girths to sew, and the pattern that has them: drafted, or altered from the current version.

    Raises Unmakeable or Unsettled.
    """
    target, practice, count, body = inputs.target, inputs.practice, inputs.panels, inputs.body
    padded = np.array(inputs.padded or (0.0,) * len(body.levels))
    takes = take_up(inputs.stack, 2 * (count - 1), practice) + padded
    current = None if inputs.current is None else with_places(inputs.current, inputs.places)
    slack, at_places = (current.slack, current.shape.slack_at_levels) if current else ((), ())
    top, hem = edges(inputs)

    def drafted(borne: tuple[float, ...], decided: tuple[BlockGirth, ...] = ()) -> Pattern:
        girths = np.array(borne) + _offset(body, decided) - _offset(body, slack)
        if current is None or len(current.panels) != count:
            fresh = draft(
                body=body,
                girths_mm=girths,
                gap_mm=target.gap_mm,
                panels=count,
                top=top,
                hem=hem,
                allowances=inputs.allowances,
                practice=practice,
                edge_mm=inputs.edge_needs_mm + _EDGE_CLEAR_MM if inputs.edge_needs_mm else 0.0,
            )
            fresh = fresh.altered(slack=slack, decided=decided)
            fresh = carried(current, fresh) if current else fresh
            return _in_one_piece(fresh, practice) if inputs.one_piece else fresh
        base = current.altered(decided=decided)
        if current.decided and not decided:  # what the body asks for is sought without what was changed by hand
            base = base.altered(panels=tuple(_plain(panel) for panel in base.panels))
        made = _alteration(base, body, girths + _offset(body, at_places), target.gap_mm, top, hem)
        return alter(base, made).altered(allowances=inputs.allowances)

    def as_decided(aimed: Aim, pattern: Pattern) -> tuple[Aim, Pattern]:
        """With what the maker changed by hand, which stands; girths as they are cut."""
        decided = decided_beside(current.decided, target.of_waist) if current else ()
        if current and current.decided:
            pattern = drafted(aimed.sewn_mm, decided)
        cut = np.array(aimed.sewn_mm) + _offset(body, decided) - _offset(body, slack) + _offset(body, at_places)
        waist = float(cut[body.index_of_zero])
        return aimed.model_copy(update={"sewn_mm": tuple(map(float, cut)), "closed_waist_mm": waist}), pattern

    if GARMENT_KINDS[inputs.kind].tied:
        aimed = aim_tied(target, body, takes, practice)
        return as_decided(aimed, drafted(aimed.sewn_mm))
    firmness = Firmness(
        target=target,
        body=body,
        edge_mm=(hem.cb_mm, top.cb_mm),
        take_up_mm=takes,
        stretch_per_n=inputs.stack.stretch_per_n,
        stretches_more=body.stretch_of(inputs.stack.cloth),
        practice=practice,
        laced=inputs.laced,
    )
    if not inputs.laced:
        aimed = close_edge_to_edge(firmness)
        return as_decided(aimed, drafted(aimed.sewn_mm))
    return as_decided(
        *settle_parallel(
            firmness,
            drafted,
            inputs.stack,
            inputs.edge_n_m2,
            most_n_per_m=most_pull(target.job, practice),
            padding=along_back(padded, body),
        )
    )


def seam_allowances(build: Build) -> Allowances:
    """Allowances as chosen; where CB is a seam and no lacing edge that folds back, it has no more than a seam has."""
    chosen = build.draft.allowances
    if build.back.laced or chosen.cb_mm != Allowances().cb_mm:
        return chosen
    opens_there = build.front.line == "CB" and build.front.opening in ("zip", "hidden zip", "hooks")
    return chosen.model_copy(update={"cb_mm": chosen.cf_mm if opens_there else chosen.seams_mm})


def _plain(panel: Panel) -> Panel:
    """A panel without what was moved on it by hand."""
    seen = {field: tuple(one for one in getattr(panel, field) if one.slack) for field in ("cf_bumps", "cb_bumps")}
    return panel.model_copy(update=seen)


def _offset(body: Body, part: tuple[BlockGirth, ...]) -> Array:
    """Amounts of girth at the body's levels, (levels,) mm."""
    found = {one.level: one.whole_mm for one in part}
    return np.array([found.get(level.name, 0.0) for level in body])


def edges(inputs: AimInputs) -> tuple[EdgeLine, EdgeLine]:
    """Top line and hem: as wished, else as the current version has them, else as suggested for the kind."""
    current, body = inputs.current, inputs.body
    if current is not None:
        top, hem = (line.moved(-inputs.waist_mm) for line in moved_edges(inputs.edges_said, current.top, current.hem))
        return _wished(inputs.top, top, 1, current.top), _wished(inputs.hem, hem, -1, current.hem)
    top, hem = suggest_edges(inputs.lap_mm, body, inputs.kind)
    cup = inputs.cup
    bust = bust_place(body, inputs.bust_points_mm)
    top, hem = _wished(inputs.top, top, 1), _wished(inputs.hem, hem, -1)
    if cup is not None:
        top = wire_line(top, cup, body, inputs.bust_points_mm)
    elif inputs.top.shape != "plain":
        top = shaped(before_shape(top, inputs.top.shape, "top", _typed(inputs.top)), inputs.top.shape, "top", bust)
    if inputs.hem.shape != "plain":
        hem = shaped(before_shape(hem, inputs.hem.shape, "hem", _typed(inputs.hem)), inputs.hem.shape, "hem", bust)
    return _wished(inputs.top, top, 1), _wished(inputs.hem, hem, -1)


def _typed(wish: TopWish | HemWish) -> set[str]:
    """The heights that were typed."""
    return {name for name in ("cf_mm", "side_mm", "cb_mm") if getattr(wish, name) is not None}


def _wished(wish: TopWish | HemWish, usual: EdgeLine, sign: int, stands: EdgeLine | None = None) -> EdgeLine:
    """The line with the heights that are wished; where one `stands` so already, the wish is met and says no more."""
    wished = {name: sign * getattr(wish, name) for name in _typed(wish)}
    if stands is not None:
        wished = {name: mm for name, mm in wished.items() if abs(mm - getattr(stands, name)) > 0.05}
    return usual.model_copy(update=wished)


def bust_place(body: Body, bust_points_mm: float | None) -> float:
    """Where the bust point lies between CF (0) and the side (1)."""
    if "bust" not in body:
        return 0.45
    half = body["bust"].front_share * body["bust"].girth_mm / 2
    return min(0.8, max(0.2, (bust_points_mm or usual_bust_points(body)) / 2 / half))


def _cup(wanted: bool, body: Body, bust_points_mm: float | None, practice: Practice) -> Cup | None:
    return make_cup(body, bust_points_mm, practice) if wanted and "bust" in body else None


def _in_one_piece(pattern: Pattern, practice: Practice) -> Pattern:
    """Every seam joined whose edges touch for long enough; the others stay seams."""
    panels = lay_flat(pattern, practice).panels
    joined = []
    for seam in range(1, len(panels)):
        try:
            join_panels(panels[seam - 1 : seam + 1], (seam,))
        except Unmakeable:
            continue
        joined.append(seam)
    return pattern.model_copy(update={"joined": tuple(joined)})


def _alteration(
    pattern: Pattern, body: Body, girths_mm: Array, gap_mm: float, top: EdgeLine, hem: EdgeLine
) -> Alteration:
    """From a version to these sewn girths, by the draft's shares; edges where they moved."""
    return change_girths(pattern, body, girths_mm, gap_mm).model_copy(
        update={"top": top if top != pattern.top else None, "hem": hem if hem != pattern.hem else None}
    )


# --- as it lies on the table ---------------------------------------------------------------------------------


@dataclass(frozen=True)
class LayInputs:
    """What a laid pattern follows from."""

    pattern: Pattern
    practice: Practice


def lay(inputs: LayInputs) -> Laid:
    """The pattern laid flat and trued. Raises Unmakeable where it can't lie flat."""
    return lay_flat(inputs.pattern, inputs.practice)


@dataclass(frozen=True)
class ShownInputs:
    """What the pattern on the table follows from."""

    pattern: Pattern
    laid: Laid
    body: Body
    cups: bool
    shoulder_pieces: bool
    bust_points_mm: float | None
    practice: Practice
    version: int | None
    cut: bool

    @classmethod
    def of(cls, build: Build, body: Body, pattern: Pattern, laid: Laid) -> Self:
        """Taken from the build."""
        current = build.current
        return cls(
            pattern=pattern,
            laid=laid,
            body=body,
            cups=build.draft.cups,
            shoulder_pieces=build.draft.shoulder_pieces and build.kind == "neck corset",
            bust_points_mm=build.wearer.bust_points_mm,
            practice=build.practice,
            version=current.number if current else None,
            cut=current.cut if current else False,
        )


def show_pattern(inputs: ShownInputs) -> PlannedPattern:
    """Both halves where they differ, and the pieces beside the panels. Raises Unmakeable where joined panels part."""
    pattern, laid, body, practice = inputs.pattern, inputs.laid, inputs.body, inputs.practice
    left = pattern.left_pattern
    cup = _cup(inputs.cups, body, inputs.bust_points_mm, practice)
    pieces = (*laid.pieces, *(cup.pieces if cup else ()))
    if inputs.shoulder_pieces:
        pieces = (*pieces, *lay_shoulders(laid, pattern.front_panels, body, practice.shoulder_width_mm))
    join_panels(laid.panels, pattern.joined)
    return PlannedPattern(
        version=inputs.version,
        cut=inputs.cut,
        zero=ZERO_LABELS[body.zero],
        panels=laid.panels,
        left_panels=lay_flat(left, practice).panels if left else None,
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
        bust_place=bust_place(body, inputs.bust_points_mm),
    )
