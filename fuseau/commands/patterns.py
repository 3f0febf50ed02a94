"""Patterns that come from the maker's hand: typed, traced, refitted, edited."""

import datetime
from collections.abc import Mapping, Sequence
from typing import Any

import numpy as np
from pydantic import TypeAdapter, ValidationError

from fuseau.commands.versions import as_drafted, with_version
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit
from fuseau.craft.pattern.hand_edits import HandEdit, edit
from fuseau.craft.pattern.pattern import (
    BlockGirth,
    Pattern,
    beside_waist,
    decided_beside,
    girth_between,
    negative,
    summed,
)
from fuseau.craft.pattern.places import with_places
from fuseau.craft.pattern.refit import refit
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.pattern.typed_widths import TypedPattern, from_widths
from fuseau.document.build import Build
from fuseau.planning.fittings.evidence import seen_at_places
from fuseau.planning.plan import Plan
from fuseau.wording.faults import fault_sentence, faults
from fuseau.wording.hand_edits import hand_edit

_EDITS: TypeAdapter[HandEdit] = TypeAdapter(HandEdit)


def type_in(build: Build, planned: Plan, typed: Mapping[str, Any], today: datetime.date, unit: Unit) -> Build:
    """The build with a pattern typed in by its widths as the next version. Texts are allowed as lengths.

    Raises pydantic.ValidationError or Unmakeable with the place of what is wrong, below `typed`.
    """
    if planned.body is None or planned.pattern is None:
        raise Unmakeable("versions", "version.typed_measures_first")
    try:
        read = TypedPattern.model_validate(typed, context={"unit": unit})
    except ValidationError as error:
        fault = faults(error, unit)[0]
        raise Unmakeable(f"typed.{fault.at}", "as_read", reason=fault.sentence) from None
    top, hem = planned.pattern.top, planned.pattern.hem
    pattern = from_widths(read, planned.body, top, hem, build.draft.allowances)
    lay_flat(pattern, build.practice)
    return with_version(build, pattern, "widths typed in", today)


def take_traced(build: Build, pattern: Pattern, name: str, today: datetime.date) -> Build:
    """The build with a pattern traced from a drawing as the next version. Raises Unmakeable if it can't lie flat."""
    lay_flat(pattern, build.practice)
    return with_version(build, pattern, f"traced from {name}"[:400], today)


def refit_from(build: Build, planned: Plan, other: Build, other_planned: Plan, today: datetime.date) -> Build:
    """The build with another build's present pattern refitted to its own wearer, as the next version.

    Raises Unmakeable when either lacks measures, or the kinds differ.
    """
    if planned.body is None or planned.aim is None:
        raise Unmakeable("versions", "version.refit_measures_first")
    source = other.current.pattern if other.current else other_planned.drafted
    if source is None or other_planned.body is None or other_planned.aim is None:
        raise Unmakeable("versions", "version.other_has_none", other=other.brief.name)
    if other.kind != build.kind:
        raise Unmakeable("kind", "kinds_differ", other=other.brief.name, theirs=other.kind, this=build.kind)
    change = np.array(planned.aim.sewn_mm) - np.array(other_planned.aim.sewn_mm)
    pattern = refit(source, other_planned.body, planned.body, change, build.gap_mm)
    lay_flat(pattern, build.practice)
    return with_version(build, pattern, f"refitted from {other.brief.name}", today, cut=False)


def edit_pattern(
    build: Build, planned: Plan, edits: Sequence[Mapping[str, Any]], today: datetime.date, unit: Unit
) -> Build:
    """The build with its pattern edited by hand.

    A version that is cut or was tried on stays; the edit then begins the next one, which is drawn on until it is
    cut. Raises Unmakeable at `edit.<field>`.
    """
    current = build.current
    pattern = current.pattern if current else planned.drafted
    if pattern is None:
        raise Unmakeable("versions", "version.measures_first")
    words = []
    for one in edits:
        made = read_edit(one, unit)
        pattern = edit(pattern, made, build.practice)
        words.append(hand_edit(made, unit))
    pattern = _decided(build, planned, pattern)
    lay_flat(pattern, build.practice)
    if current is None or current.cut:
        reason = "edited by hand" if current else "drafted, then edited by hand"
        return with_version(
            build,
            pattern,
            reason,
            today,
            parent=current.number if current else None,
            cut=False,
            changes=tuple(words),
            made_for=current.made_for if current else planned.made_for,
        )
    drawn = current.model_copy(update={"pattern": pattern, "changes": (*current.changes, *words)[-400:]})
    return as_drafted(build.model_copy(update={"versions": (*build.versions[:-1], drawn)}), pattern)


def _decided(build: Build, planned: Plan, made: Pattern) -> Pattern:
    """The edited pattern with what the edits changed of its girths kept as decided.

    What was seen to stand off and is taken in there by hand is slack that was taken out.
    """
    before = build.current.pattern if build.current else planned.drafted
    assert before is not None
    places = seen_at_places(build, planned.body).places if planned.body else ()
    seen = {one.level: one for one in negative(with_places(before, places).shape.slack_at_levels)} if places else {}
    slack, decided = [], []
    for one in girth_between(before, made):
        off = seen.get(one.level)
        front = min(max(-one.front_mm, 0.0), max(off.front_mm, 0.0)) if off else 0.0
        back = min(max(-one.back_mm, 0.0), max(off.back_mm, 0.0)) if off else 0.0
        slack.append(BlockGirth(level=one.level, front_mm=front, back_mm=back))
        decided.append(BlockGirth(level=one.level, front_mm=one.front_mm + front, back_mm=one.back_mm + back))
    wish = build.target.of_waist
    own = summed(decided_beside(before.decided, wish), beside_waist(tuple(decided), wish))
    return made.altered(slack=summed(before.slack, tuple(slack)), decided=own)


def read_edit(given: Mapping[str, Any], unit: Unit) -> HandEdit:
    """An edit from plain data; lengths may be text. Raises Unmakeable at `edit.<field>`."""
    try:
        found: HandEdit = _EDITS.validate_python(dict(given), context={"unit": unit})
    except ValidationError as error:
        first = error.errors(include_url=False)[0]
        field = ".".join(str(part) for part in first["loc"][1:])
        raise Unmakeable(f"edit.{field}", "as_read", reason=fault_sentence(first, unit)) from None
    return found
