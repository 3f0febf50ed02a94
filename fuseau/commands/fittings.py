"""Fittings logged and corrected, and the change they propose set line by line."""

import datetime
from collections.abc import Mapping
from typing import Any

from fuseau.commands.versions import cut_version, fixed
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit
from fuseau.craft.pattern.alterations import LineEdit
from fuseau.document.build import Build, plain, with_parts
from fuseau.document.fittings import GapReading
from fuseau.planning.fittings.evidence import seen_at_places
from fuseau.planning.plan import Plan

_SAME_PLACE_MM = 0.05


def log_fitting(build: Build, planned: Plan, fitting: Mapping[str, Any], today: datetime.date, unit: Unit) -> Build:
    """Add a fitting of the current version, or of the one it names (cutting version 1 if there is none yet).

    `fitting` has `pull`, `readings` (z_mm, gap_mm; texts allowed), `note`, and optionally `made_of` and the
    `pads` under it.
    Raises pydantic.ValidationError with the place of what is wrong, below `fittings.<n>`.
    """
    build = cut_version(build, planned, today) if not build.versions else fixed(build)
    number = len(build.fittings) + 1
    written = {
        "made_of": plain(build, "mock_up"),
        "pads": plain(build, "pads"),
        "version": build.versions[-1].number,
        **fitting,
        "number": number,
        "tried_on": today.isoformat(),
    }
    read = with_parts(build, unit, fittings=[*build.fittings, written])
    logged = read.fittings[-1]
    made = logged.made_of.model_copy(update={"stack": logged.made_of.stack.known(read.cloths)})
    ordered = logged.model_copy(update={"readings": _from_the_top(logged.readings), "made_of": made})
    return read.model_copy(update={"fittings": (*read.fittings[:-1], ordered)})


def correct_fitting(build: Build, number: int, fitting: Mapping[str, Any], unit: Unit) -> Build:
    """The build with a fitting corrected: fields that are given replace what was written then.

    Versions that came from it stand, but count as made from what was not so (`evidence.stale_versions`). Raises
    Unmakeable for a fitting that does not exist, and pydantic.ValidationError below `fittings.<n>`.
    """
    old = next((fitting for fitting in build.fittings if fitting.number == number), None)
    if old is None:
        raise Unmakeable("fittings", "fitting.no_such", fitting=number)
    i = build.fittings.index(old)
    stays = {"number": number, "version": old.version, "corrected": old.corrected}
    written = {**old.model_dump(mode="json"), **fitting, **stays}
    read = with_parts(build, unit, fittings=[*build.fittings[:i], written, *build.fittings[i + 1 :]])
    new = read.fittings[i].model_copy(update={"readings": _from_the_top(read.fittings[i].readings)})
    if new == old:
        return build
    new = new.model_copy(update={"corrected": old.corrected + 1})
    return read.model_copy(update={"fittings": (*read.fittings[:i], new, *read.fittings[i + 1 :])})


def set_line(build: Build, planned: Plan, line: Mapping[str, Any] | None, unit: Unit) -> Build:
    """The build with one line of the proposed change set by hand; without amounts it goes back; None takes all back.

    `line` has `seam`, `level` (or `half` and `peak_mm` of a proposed line at a place) and, or not, `cf_side_mm` and
    `cb_side_mm` (texts allowed, + lets out); any seam and level of the present version can have one, proposed or not.
    Raises Unmakeable where there is no version, or it has
    no such seam or level, or is drafted anew, and pydantic.ValidationError at `line_edits.<n>`.
    """
    current, proposal = build.current, planned.proposal
    if line is None:
        return build.model_copy(update={"line_edits": ()})
    if current is None or (proposal is not None and proposal.redraft):
        raise Unmakeable("line_edits", "line.no_change")
    seam, level = line.get("seam"), line.get("level")
    pattern = current.pattern
    if not isinstance(seam, int) or not 1 <= seam < len(pattern.panels):
        raise Unmakeable("line_edits", "line.no_such")
    named = {"seam": seam, "level": level, **_place_of(build, planned, line)}
    if named.get("peak_mm") is None and level not in pattern.stations_named():
        raise Unmakeable("line_edits", "line.no_such")
    key = LineEdit.model_validate({**named, "version": current.number, "cf_side_mm": 0, "cb_side_mm": 0}).at
    edits: list[Any] = [edit for edit in build.line_edits if edit.version == current.number and edit.at != key]
    if line.get("cf_side_mm") is not None and line.get("cb_side_mm") is not None:
        amounts = {name: line[name] for name in ("cf_side_mm", "cb_side_mm")}
        edits.append({**named, **amounts, "version": current.number})
    return with_parts(build, unit, line_edits=edits)


def _place_of(build: Build, planned: Plan, line: Mapping[str, Any]) -> dict[str, Any]:
    """The fields of the place that a line names by its peak; nothing at a level. Raises Unmakeable for none such."""
    if line.get("peak_mm") is None:
        return {}
    proposed = planned.proposal.alteration.places if planned.proposal and planned.proposal.alteration else ()
    seen = seen_at_places(build, planned.body).places if planned.body else ()
    known = [*proposed, *seen, *(edit.place for edit in build.line_edits)]
    at, half = float(line["peak_mm"]), line.get("half") or "both"
    for one in known:
        if one and (one.seam, one.half) == (line.get("seam"), half) and abs(one.peak_mm - at) < _SAME_PLACE_MM:
            return {name: getattr(one, name) for name in ("half", "low_mm", "peak_mm", "high_mm")}
    raise Unmakeable("line_edits", "line.no_such")


def _from_the_top(readings: tuple[GapReading, ...]) -> tuple[GapReading, ...]:
    return tuple(sorted(readings, key=lambda reading: -reading.z_mm))
