"""What a maker does to a Build beyond changing a field: cut a version, log a fitting, accept a change.

Functions from Build to Build. They take today's date, since the core has no clock.
"""

import datetime
from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from fuseau.build import Build, GapReading, PatternVersion, faults, read_build
from fuseau.craft.findings import Change
from fuseau.craft.lengths import Unit
from fuseau.craft.record import Unmakeable
from fuseau.craft.tracing import TypedPattern, from_widths
from fuseau.craft.trueing import lay_flat
from fuseau.planned import Plan

_NEVER_SET = ("format", "version", "kind", "versions")


def change(build: Build, changes: list[Change], unit: Unit) -> Build:
    """The build with fields set. Values may be text in the maker's words.

    Raises Unmakeable for a field that does not exist or is not for changing, and pydantic.ValidationError
    for a value that cannot be.
    """
    data = build.model_dump(mode="json")
    for one in changes:
        _set(data, one.at, one.value)
    return read_build(data, unit)


def _set(data: dict[str, Any], at: str, value: Any) -> None:
    *way, last = at.split(".")
    named = way[:1] == ["versions"] and len(way) == 2 and last in ("name", "note")
    if not named and (not way or way[0] in _NEVER_SET):
        raise Unmakeable(at, "This is not changed by hand.")
    spot: Any = data
    for part in way:
        if isinstance(spot, list):
            if not part.isdigit() or int(part) >= len(spot):
                raise Unmakeable(at, "There is no such entry.")
            spot = spot[int(part)]
        elif isinstance(spot, dict) and part in spot:
            spot = spot[part]
        else:
            raise Unmakeable(at, "There is no such field.")
    if isinstance(spot, list) and last.isdigit() and int(last) <= len(spot):
        spot[int(last) : int(last) + 1] = [value]
    elif isinstance(spot, dict):
        if value is None and last not in spot:
            return
        if way[-1] == "by_channel" and value is None:
            spot.pop(last)
        else:
            spot[last] = value
    else:
        raise Unmakeable(at, "There is no such field.")


def cut_version(build: Build, planned: Plan, today: datetime.date) -> Build:
    """Keep the plan's draft as version 1. Raises Unmakeable if one is kept already, or nothing is drafted."""
    if build.versions:
        raise Unmakeable("versions", "Version 1 is cut already; changes make the next version.")
    if planned.drafted is None:
        raise Unmakeable("versions", "There is no pattern yet: the measures come first.")
    first = PatternVersion(number=1, reason="drafted", made_on=today, pattern=planned.drafted)
    return read_build(build.model_copy(update={"versions": (first,)}).model_dump())


def log_fitting(build: Build, planned: Plan, fitting: Mapping[str, Any], today: datetime.date, unit: Unit) -> Build:
    """Add a fitting of the current version (cutting version 1 from the plan's draft if there is none yet).

    `fitting` has `pull`, `readings` (z_mm, gap_mm; texts allowed), `note`, and optionally `made_of`.
    Raises pydantic.ValidationError with the place of what is wrong, below `fittings.<n>`.
    """
    if not build.versions:
        build = cut_version(build, planned, today)
    number = len(build.fittings) + 1
    data = build.model_dump(mode="json")
    data["fittings"].append(
        {
            "made_of": data["mock_up"],
            **fitting,
            "number": number,
            "version": build.versions[-1].number,
            "tried_on": today.isoformat(),
        }
    )
    read = read_build(data, unit)
    logged = read.fittings[-1]
    ordered = logged.model_copy(update={"readings": _from_the_top(logged.readings)})
    return read.model_copy(update={"fittings": (*read.fittings[:-1], ordered)})


def _from_the_top(readings: tuple[GapReading, ...]) -> tuple[GapReading, ...]:
    return tuple(sorted(readings, key=lambda reading: -reading.z_mm))


def accept(build: Build, planned: Plan, today: datetime.date) -> Build:
    """The build with the plan's proposal as its next version. Raises Unmakeable if nothing is proposed."""
    proposal, current = planned.proposal, build.current
    if proposal is None or current is None:
        raise Unmakeable("versions", "There is no change to accept: the pattern is as it should be.")
    following = PatternVersion(
        number=current.number + 1,
        parent=current.number,
        reason=proposal.reason,
        fitting=proposal.fitting,
        made_on=today,
        pattern=proposal.pattern,
        alteration=proposal.alteration,
    )
    return read_build(build.model_copy(update={"versions": (*build.versions, following)}).model_dump())


def go_back(build: Build, number: int, today: datetime.date) -> Build:
    """The build with an old version's pattern as its next version. Raises Unmakeable if there is none such."""
    old, current = build.version_numbered(number), build.current
    if old is None or current is None:
        raise Unmakeable("versions", f"There is no version {number} to go back to.")
    if old.number == current.number:
        raise Unmakeable("versions", f"Version {number} is the present one already.")
    following = PatternVersion(
        number=current.number + 1,
        parent=old.number,
        reason=f"back to version {old.number}",
        made_on=today,
        pattern=old.pattern,
    )
    return read_build(build.model_copy(update={"versions": (*build.versions, following)}).model_dump())


def type_in(build: Build, planned: Plan, typed: Mapping[str, Any], today: datetime.date, unit: Unit) -> Build:
    """The build with a pattern typed in by its widths as the next version. Texts are allowed as lengths.

    Raises pydantic.ValidationError or Unmakeable with the place of what is wrong, below `typed`.
    """
    if planned.body is None or planned.pattern is None:
        raise Unmakeable("versions", "The measures come first: the levels of the widths are hers.")
    try:
        read = TypedPattern.model_validate(typed, context={"unit": unit})
    except ValidationError as error:
        fault = faults(error)[0]
        raise Unmakeable(f"typed.{fault.at}", fault.sentence) from None
    top, hem = planned.pattern.top, planned.pattern.hem
    pattern = from_widths(read, planned.body, top, hem, build.draft.allowances)
    lay_flat(pattern, build.practice)
    following = PatternVersion(
        number=len(build.versions) + 1,
        parent=build.versions[-1].number if build.versions else None,
        reason="widths typed in",
        made_on=today,
        pattern=pattern,
    )
    draft = build.draft.model_copy(update={"panels": min(7, max(4, len(pattern.panels)))})
    return read_build(build.model_copy(update={"versions": (*build.versions, following), "draft": draft}).model_dump())
