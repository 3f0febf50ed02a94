"""The next pattern version: what changes, by seam and level, and how it would settle."""

import math
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Self

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.fit.fit import Lacing, fit
from fuseau.craft.fit.target import Aim
from fuseau.craft.fitting.allocation import place
from fuseau.craft.fitting.inference import Belief, Learned, foresee
from fuseau.craft.fitting.seen import Word
from fuseau.craft.fitting.worth_making import worth_making
from fuseau.craft.pattern.alterations import (
    Alteration,
    LineEdit,
    SeamChange,
    alter,
    edited,
    follow_listed,
    lines,
    marks,
    same_cut,
    together,
)
from fuseau.craft.pattern.pattern import (
    Allowances,
    Pattern,
    beside_waist,
    decided_beside,
    girth_between,
    seam_label,
    summed,
)
from fuseau.craft.pattern.places import PlacedChange, with_places
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Build
from fuseau.document.fittings import Fitting
from fuseau.planning.fittings.evidence import Seen, fittings_of_current, seen_at_places, side_seam_off
from fuseau.planning.garment.lacings import final_lacing, mock_up_lacing
from fuseau.planning.plan import Proposal
from fuseau.planning.stages.pattern import seam_allowances

_HEIGHTS = 25
_WORTH_A_REASON_MM = 2


@dataclass(frozen=True)
class ProposalInputs:
    """What the next version follows from; `mock_up` and `final` are the aimed pattern made up and laced.

    `learned` is None where no fitting taught anything; `last_fitting` is the number of the current version's last;
    `drawn_on` tells that the current version was edited by hand.
    """

    current: Pattern
    aimed: Aim
    aimed_pattern: Pattern
    body: Body
    belief: Belief
    learned: Learned | None
    panels: int
    allowances: Allowances
    gap_mm: float
    wish: str
    waist_typed: bool
    said: Mapping[LevelName, int]
    asked: frozenset[LevelName]
    practice: Practice
    seen: Seen
    swings_mm: float
    line_edits: tuple[LineEdit, ...]
    mock_up: Lacing
    final: Lacing
    tied: bool
    last_fitting: int | None
    drawn_on: bool
    same: bool = False
    girths_stay: bool = False
    finished: bool = False

    @classmethod
    def of(
        cls, build: Build, belief: Belief, body: Body, aimed: Aim, aimed_pattern: Pattern, same: bool = False
    ) -> Self:
        """Taken from a build that has a version; `same` where nothing was learned or wished since that was made."""
        current = build.current
        assert current is not None
        here = fittings_of_current(build)
        return cls(
            current=current.pattern,
            aimed=aimed,
            aimed_pattern=aimed_pattern,
            body=body,
            belief=belief,
            learned=belief.learned if build.fittings else None,
            panels=build.draft.panels,
            allowances=seam_allowances(build),
            gap_mm=build.gap_mm,
            wish=build.target.of_waist,
            waist_typed=build.target.job == "closed_waist",
            said=_said(here[-1]) if here else {},
            asked=frozenset(build.target.ease_at) | ({"waist"} if build.target.job != "none" else set()),
            practice=build.practice,
            swings_mm=side_seam_off(build),
            seen=seen_at_places(build, body),
            line_edits=tuple(edit for edit in build.line_edits if edit.version == current.number),
            mock_up=mock_up_lacing(build, aimed_pattern),
            final=final_lacing(build, aimed_pattern, aimed),
            tied=GARMENT_KINDS[build.kind].tied,
            last_fitting=here[-1].number if here else None,
            drawn_on=bool(current.changes),
            same=same,
            finished=bool(here) and here[-1].finished,
        )


_WAYS: dict[Word, int] = {"digs": 1, "stands off": -1}


def _said(fitting: Fitting) -> dict[LevelName, int]:
    """The levels at which it dug (1) or stood off (−1)."""
    return {word.level: _WAYS[word.word] for word in fitting.words if word.word in _WAYS}


@dataclass(frozen=True)
class _Made:
    """A change as it was worked out and as the maker set its lines, the pattern it makes, and what it left over."""

    pattern: Pattern
    worked_out: Alteration
    made: Alteration
    left_mm: dict[LevelName, float]


def propose(inputs: ProposalInputs) -> Proposal | None:
    """The next version, when what is now known or wished differs enough from the current one. Raises Unsettled."""
    current, aimed_pattern = inputs.current, inputs.aimed_pattern
    placed_on = with_places(current, inputs.seen.places)
    redraft = not same_cut(placed_on, aimed_pattern)
    if redraft and inputs.finished:
        return None  # a finished garment is altered, and cut no other way
    change = np.zeros(len(aimed_pattern.stations)) if redraft else _girth_change(current, aimed_pattern)
    edges_change = (current.top, current.hem) != (aimed_pattern.top, aimed_pattern.hem)
    places, swings = inputs.seen.places, inputs.swings_mm != 0
    same_allowances = current.allowances == aimed_pattern.allowances
    small = inputs.same or _largest_change(placed_on, aimed_pattern) < inputs.practice.worth_changing_mm
    by_hand = any(max(abs(edit.cf_side_mm), abs(edit.cb_side_mm)) > 0.05 for edit in inputs.line_edits)
    if not redraft and not edges_change and same_allowances and small and not (places or swings or by_hand):
        return None
    inputs = replace(inputs, girths_stay=small and not redraft)
    placed = None if redraft else _placed(inputs)
    pattern = placed.pattern if placed else aimed_pattern
    if placed:
        change = _girth_change(current, pattern)
    mock_up, final = replace(inputs.mock_up, pattern=pattern), replace(inputs.final, pattern=pattern)
    return Proposal(
        reason=_reason(inputs, redraft, edges_change),
        fitting=inputs.last_fitting,
        redraft=redraft,
        pattern=pattern,
        alteration=placed.made if placed else None,
        marks=tuple(marks(current, placed.made)) if placed else (),
        lines=tuple(lines(current, placed.worked_out, placed.made, inputs.line_edits)) if placed else (),
        left_mm=placed.left_mm if placed else {},
        by_hand=placed is not None and placed.made != placed.worked_out,
        next_mock_up=None if inputs.tied else foresee(inputs.belief, mock_up, mock_up=True),
        sewn_change_mm={name: float(change[i]) for name, i in pattern.stations_named().items()},
        edges_change=edges_change,
        panels=lay_flat(pattern, inputs.practice).panels,
        mock_up=fit(mock_up, inputs.body),
        final=fit(final, inputs.body),
    )


def _girth_change(before: Pattern, after: Pattern) -> Array:
    old, new = before.shape, after.shape
    return np.asarray(new.sewn_girth(new.nominal) - old.sewn_girth(old.nominal))


def _largest_change(before: Pattern, after: Pattern) -> float:
    """The largest change of girth where cloth goes round her: between hem and top line as most of them run, mm."""
    low, high = (float(np.median((line.cf_mm, line.side_mm, line.cb_mm))) for line in (after.hem, after.top))
    z = np.linspace(low, high, _HEIGHTS)
    return float(np.max(np.abs(after.shape.sewn_girth(z) - before.shape.sewn_girth(z))))


def _placed(inputs: ProposalInputs) -> _Made:
    """What was seen at places, and the change of girth placed on the seams, with the maker's own amounts put in."""
    aimed_pattern = inputs.aimed_pattern
    standing = decided_beside(inputs.current.decided, inputs.wish)
    before = inputs.current.altered(decided=standing)
    hung = _side_seam_moved(before, inputs.swings_mm, inputs.practice)
    current = alter(with_places(before, inputs.seen.places), hung)
    over: dict[LevelName, float] = {one.level: one.whole_mm for one in inputs.seen.left_mm}
    if (
        inputs.girths_stay
    ):  # no girth is worth changing: what was seen at places, and what she sets, is all that changes
        none = (0.0,) * len(current.stations)
        seams = range(1, len(current.panels))
        worth = Alteration(seams=tuple(SeamChange(seam=seam, cf_side_mm=none, cb_side_mm=none) for seam in seams))
    else:
        found = place(
            current,
            inputs.body,
            _as_said(current, inputs),
            inputs.gap_mm,
            inputs.practice,
            finished=inputs.finished,
        )
        exactly: tuple[LevelName, ...] = ("waist",) if inputs.waist_typed else ()
        # a finished garment has what its allowances leave, to the last half millimetre
        worth = found.alteration
        if not inputs.finished:
            worth = worth_making(current, worth, inputs.practice, exactly)
        for name, i in current.stations_named().items():
            over[name] = over.get(name, 0.0) + 2 * float(found.left_mm[i])
    worked_out = worth.model_copy(
        update={
            "seams": together(worth.seams, hung.seams),
            "places": inputs.seen.places,
            "top": aimed_pattern.top if aimed_pattern.top != current.top else None,
            "hem": aimed_pattern.hem if aimed_pattern.hem != current.hem else None,
        }
    )
    worked_out = follow_listed(before, worked_out)
    made = follow_listed(before, edited(before, worked_out, inputs.line_edits))
    pattern = alter(before, made).altered(allowances=inputs.allowances)
    if made.seams != worked_out.seams:
        plainly = (alter(before, one.model_copy(update={"places": ()})) for one in (worked_out, made))
        own = girth_between(*plainly)
        pattern = pattern.altered(decided=summed(pattern.decided, beside_waist(own, inputs.wish)))
    return _Made(pattern, worked_out, made, {name: mm for name, mm in over.items() if abs(mm) > 1.0})


def _side_seam_moved(pattern: Pattern, swings_mm: float, practice: Practice) -> Alteration:
    """The side seam laid back by what it hung to the front: front against back all along it, each girth as it was."""
    count, step = len(pattern.stations), practice.change_step_mm
    by = step * round(swings_mm / step)
    if not by:
        return Alteration()
    side = SeamChange(seam=pattern.front_panels, cf_side_mm=(by,) * count, cb_side_mm=(-by,) * count)
    return Alteration(seams=(side,))


def _as_said(current: Pattern, inputs: ProposalInputs) -> Array:
    """The girths to sew (levels,), which hardly take in where it dug, nor let out where it stood off.

    The balance of the whole may ask for that: her word at the place goes first, by so much (`word_holds_mm`), and what
    gaps ask for beyond it is theirs.
    """
    sewn = np.array(inputs.aimed.sewn_mm)
    was = current.shape.sewn_girth(np.array([level.side_mm for level in inputs.body]))
    for i, level in enumerate(inputs.body):
        way = inputs.said.get(level.name, 0)
        change = float(sewn[i] - was[i])
        if way and change * way < 0 and level.name not in inputs.asked:
            sewn[i] = was[i] + math.copysign(max(abs(change) - inputs.practice.word_holds_mm, 0.0), change)
    return np.asarray(sewn)


def _reason(inputs: ProposalInputs, redraft: bool, edges_change: bool) -> Message:
    places, swings = inputs.seen.places, inputs.swings_mm
    if inputs.girths_stay and not places and not swings:
        drawn = any(max(abs(edit.cf_side_mm), abs(edit.cb_side_mm)) > 0 for edit in inputs.line_edits)
        return message("reason.edges" if edges_change else "reason.by_hand" if drawn else "reason.wishes")
    were = len(inputs.current.panels)
    if redraft and inputs.panels == were:
        return message("reason.redrafted")
    if redraft:
        return message("reason.panels", panels=inputs.panels, were=were)
    if inputs.last_fitting is not None and inputs.learned is not None:
        taped = {level.name for level in inputs.body if level.measured}
        told = [level for level in inputs.learned.levels if level.name in taped] or inputs.learned.levels
        most = max(told, key=lambda level: abs(level.believed_mm - level.measured_mm))
        by = most.believed_mm - most.measured_mm
        if swings and (inputs.girths_stay or not places):
            code = "reason.hung_front" if swings > 0 else "reason.hung_back"
            return message(code, fitting=inputs.last_fitting, by_mm=abs(swings))
        if places:
            return _reason_at_places(places, inputs.last_fitting)
        if abs(by) < _WORTH_A_REASON_MM:
            return message("reason.fitting", fitting=inputs.last_fitting)
        code = "reason.bigger" if by > 0 else "reason.smaller"
        return message(code, fitting=inputs.last_fitting, level=most.name, by_mm=abs(by))
    if edges_change:
        return message("reason.edges")
    if inputs.drawn_on:
        return message("reason.gap", gap_mm=inputs.gap_mm)
    return message("reason.wishes")


def _reason_at_places(places: Sequence[PlacedChange], fitting: int) -> Message:
    """The largest of what was seen at places, with all of its kind, and whether there is more."""
    worst = max(places, key=lambda place: abs(place.amount_mm))
    alike = [place for place in places if (place.seen, place.fitting) == (worst.seen, worst.fitting)]
    return message(
        f"reason.{worst.seen.replace(' ', '_')}{'' if len(alike) == len(places) else '.more'}",
        fitting=worst.fitting or fitting,
        seam=", ".join(dict.fromkeys(seam_label(one.seam) for one in alike)),
        by_mm=abs(sum(one.amount_mm for one in alike)),
    )
