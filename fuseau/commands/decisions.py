"""What a maker does to a Build beyond changing a field: cut a version, log a fitting, accept a change.

Functions from Build to Build. They take today's date, since the core has no clock.
"""

import datetime
from collections.abc import Mapping, Sequence
from typing import Any

import numpy as np
from pydantic import TypeAdapter, ValidationError

from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit
from fuseau.craft.base.record import Unmakeable
from fuseau.craft.boning.channels import CutBone
from fuseau.craft.materials.catalogue import bone_key
from fuseau.craft.pattern.hand_edits import Edit, edit, told
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.refit import refit
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.pattern.typed_widths import TypedPattern, from_widths
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.document.build import Build, HemWish, PatternVersion, TopWish, faults, read_build
from fuseau.document.fittings import GapReading
from fuseau.planning.plan import Plan

_NEVER_SET = ("format", "version", "versions")
_ENTRIES = ("by_channel", "on_seams", "made_by_channel", "shares", "by_seam")  # what is set to None is taken out


def change(build: Build, changes: list[Change], unit: Unit) -> Build:
    """The build with fields set. Values may be text in the maker's words; another kind brings its own defaults.

    Raises Unmakeable for a field that does not exist or is not for changing, and pydantic.ValidationError
    for a value that cannot be.
    """
    data = build.model_dump(mode="json")
    for one in changes:
        _set(data, one.at, one.value)
        if one.at == "kind" and one.value in KINDS:
            for usual in KINDS[one.value].defaults():
                _set(data, usual.at, usual.value)
    return read_build(data, unit)


def _set(data: dict[str, Any], at: str, value: Any) -> None:
    *way, last = at.split(".")
    named = way[:1] == ["versions"] and len(way) == 2 and last in ("name", "note")
    if not named and (way[0] in _NEVER_SET if way else last not in ("kind", "taught")):
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
        if way and value is None and (way[-1] in _ENTRIES or way == ["catalogue", "bones"]):
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


def keep_kind(build: Build, given: Mapping[str, Any], unit: Unit) -> Build:
    """The build with a kind of bone in its catalogue: a new one, or another version of the one it names.

    Raises pydantic.ValidationError with the place of what is wrong, below `catalogue.bones.<name>`.
    """
    name = given.get("name") or bone_key(str(given.get("label") or "bone"), build.bone_kinds)
    return change(build, [Change(at=f"catalogue.bones.{name}", value={**given, "name": name})], unit)


def cut_bones(build: Build, planned: Plan) -> Build:
    """The bones of the plan written down as cut, so that later changes can be held against them.

    Raises Unmakeable while there are none.
    """
    bones = tuple(
        CutBone(channel=bone.channel, kind=bone.kind, length_mm=bone.length_mm, count=bone.count)
        for bone in planned.bones
        if bone.length_mm > 0
    )
    if not bones:
        raise Unmakeable("bones.cut", "There are no bones to cut yet: the pattern comes first.")
    version = build.current.number if build.current else None
    return build.model_copy(update={"bones": build.bones.model_copy(update={"cut": bones, "cut_version": version})})


def log_fitting(build: Build, planned: Plan, fitting: Mapping[str, Any], today: datetime.date, unit: Unit) -> Build:
    """Add a fitting of the current version, or of the one it names (cutting version 1 if there is none yet).

    `fitting` has `pull`, `readings` (z_mm, gap_mm; texts allowed), `note`, and optionally `made_of`.
    Raises pydantic.ValidationError with the place of what is wrong, below `fittings.<n>`.
    """
    build = cut_version(build, planned, today) if not build.versions else _fixed(build)
    number = len(build.fittings) + 1
    data = build.model_dump(mode="json")
    data["fittings"].append(
        {
            "made_of": data["mock_up"],
            "version": build.versions[-1].number,
            **fitting,
            "number": number,
            "tried_on": today.isoformat(),
        }
    )
    read = read_build(data, unit)
    logged = read.fittings[-1]
    ordered = logged.model_copy(update={"readings": _from_the_top(logged.readings)})
    return read.model_copy(update={"fittings": (*read.fittings[:-1], ordered)})


def correct_fitting(build: Build, number: int, fitting: Mapping[str, Any], unit: Unit) -> Build:
    """The build with a fitting corrected: fields that are given replace what was written then.

    Versions that came from it stand, but count as made from what was not so (`fitted.stale_versions`). Raises
    Unmakeable for a fitting that does not exist, and pydantic.ValidationError below `fittings.<n>`.
    """
    old = next((one for one in build.fittings if one.number == number), None)
    if old is None:
        raise Unmakeable("fittings", f"There is no fitting {number} to correct.")
    data = build.model_dump(mode="json")
    i = build.fittings.index(old)
    fixed = {"number": number, "version": old.version, "corrected": old.corrected}
    data["fittings"][i] = {**data["fittings"][i], **fitting, **fixed}
    read = read_build(data, unit)
    new = read.fittings[i].model_copy(update={"readings": _from_the_top(read.fittings[i].readings)})
    if new == old:
        return build
    new = new.model_copy(update={"corrected": old.corrected + 1})
    return read.model_copy(update={"fittings": (*read.fittings[:i], new, *read.fittings[i + 1 :])})


def set_line(build: Build, planned: Plan, line: Mapping[str, Any] | None, unit: Unit) -> Build:
    """The build with one line of the proposed change set by hand; without amounts it goes back; None takes all back.

    `line` has `seam`, `level` and, or not, `cf_side_mm` and `cb_side_mm` (texts allowed, + lets out). Raises Unmakeable
    when nothing is proposed or the change has no such line, and pydantic.ValidationError at `line_edits.<n>`.
    """
    current, proposal = build.current, planned.proposal
    if line is None:
        return build.model_copy(update={"line_edits": ()})
    if current is None or proposal is None or not proposal.lines:
        raise Unmakeable("line_edits", "There is no change to edit: the pattern is as it should be.")
    seam, level = line.get("seam"), line.get("level")
    if not any((one.seam, one.level) == (seam, level) for one in proposal.lines):
        raise Unmakeable("line_edits", "The change has no such line.")
    kept = [one for one in build.line_edits if one.version == current.number and (one.seam, one.level) != (seam, level)]
    data = build.model_dump(mode="json")
    data["line_edits"] = [one.model_dump(mode="json") for one in kept]
    if line.get("cf_side_mm") is not None and line.get("cb_side_mm") is not None:
        data["line_edits"].append({**line, "version": current.number})
    return read_build(data, unit)


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
        fitting_corrected=next((one.corrected for one in build.fittings if one.number == proposal.fitting), 0),
        made_on=today,
        pattern=proposal.pattern,
        alteration=proposal.alteration,
    )
    made = build.model_copy(update={"versions": (*build.versions, following), "line_edits": ()})
    return _as_drafted(made, proposal.pattern)


def go_back(build: Build, number: int, today: datetime.date) -> Build:
    """The build with an old version's pattern as its next version. Raises Unmakeable if there is none such."""
    old, current = build.version_numbered(number), build.current
    if old is None or current is None:
        raise Unmakeable("versions", f"There is no version {number} to go back to.")
    if old.number == current.number:
        raise Unmakeable("versions", f"Version {number} is the present one already.")
    return _with_version(build, old.pattern, f"back to version {old.number}", today, parent=old.number)


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
    return _with_version(build, pattern, "widths typed in", today)


def take_traced(build: Build, pattern: Pattern, name: str, today: datetime.date) -> Build:
    """The build with a pattern traced from a drawing as the next version. Raises Unmakeable if it can't lie flat."""
    lay_flat(pattern, build.practice)
    return _with_version(build, pattern, f"traced from {name}"[:400], today)


def refit_from(build: Build, planned: Plan, other: Build, other_planned: Plan, today: datetime.date) -> Build:
    """The build with another build's present pattern refitted to its own wearer, as the next version.

    Raises Unmakeable when either lacks measures, or the kinds differ.
    """
    if planned.body is None or planned.aim is None:
        raise Unmakeable("versions", "The measures come first: the pattern is refitted to them.")
    source = other.current.pattern if other.current else other_planned.drafted
    if source is None or other_planned.body is None or other_planned.aim is None:
        raise Unmakeable("versions", f"“{other.brief.name}” has no pattern yet.")
    if other.kind != build.kind:
        raise Unmakeable(
            "kind", f"“{other.brief.name}” is a {other.kind}, this is a {build.kind}: make them alike first."
        )
    change = np.array(planned.aim.sewn_mm) - np.array(other_planned.aim.sewn_mm)
    pattern = refit(source, other_planned.body, planned.body, change, build.target.gap_mm)
    lay_flat(pattern, build.practice)
    return _with_version(build, pattern, f"refitted from {other.brief.name}", today, cut=False)


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
        raise Unmakeable("versions", "There is no pattern yet: the measures come first.")
    words = []
    for one in edits:
        made = read_edit(one, unit)
        pattern = edit(pattern, made, build.practice)
        words.append(told(made, unit))
    lay_flat(pattern, build.practice)
    if current is None or current.cut:
        reason = "edited by hand" if current else "drafted, then edited by hand"
        return _with_version(
            build, pattern, reason, today, parent=current.number if current else None, cut=False, changes=tuple(words)
        )
    drawn = current.model_copy(update={"pattern": pattern, "changes": (*current.changes, *words)[-400:]})
    return _as_drafted(build.model_copy(update={"versions": (*build.versions[:-1], drawn)}), pattern)


def read_edit(given: Mapping[str, Any], unit: Unit) -> Edit:
    """An edit from plain data; lengths may be text. Raises Unmakeable at `edit.<field>`."""
    try:
        found: Edit = _EDITS.validate_python(dict(given), context={"unit": unit})
    except ValidationError as error:
        first = error.errors(include_url=False)[0]
        field = ".".join(str(part) for part in first["loc"][1:])
        reason = str(first.get("ctx", {}).get("reason") or first["msg"])
        raise Unmakeable(f"edit.{field}", reason) from None
    return found


_EDITS: TypeAdapter[Edit] = TypeAdapter(Edit)


def fix_version(build: Build) -> Build:
    """The build with its present version cut: it is not drawn on any more. Raises Unmakeable if there is none."""
    current = build.current
    if current is None or current.cut:
        raise Unmakeable("versions", "There is no version that is still drawn on.")
    return _fixed(build)


def _fixed(build: Build) -> Build:
    current = build.current
    if current is None or current.cut:
        return build
    return build.model_copy(update={"versions": (*build.versions[:-1], current.model_copy(update={"cut": True}))})


def _with_version(
    build: Build,
    pattern: Pattern,
    reason: str,
    today: datetime.date,
    *,
    parent: int | None = None,
    cut: bool = True,
    changes: tuple[str, ...] = (),
) -> Build:
    """The build with a pattern as its next version, and its draft's choices brought in line with it."""
    last = build.versions[-1].number if build.versions else None
    following = PatternVersion(
        number=len(build.versions) + 1,
        parent=parent if parent is not None else last,
        reason=reason,
        made_on=today,
        pattern=pattern,
        cut=cut,
        changes=changes,
    )
    return _as_drafted(build.model_copy(update={"versions": (*build.versions, following)}), pattern)


def _as_drafted(build: Build, pattern: Pattern) -> Build:
    """Choices of the draft that the present version answers itself: its panels, edges and allowances."""
    draft = build.draft.model_copy(
        update={
            "panels": len(pattern.panels),
            "top": TopWish(),
            "hem": HemWish(),
            "allowances": pattern.allowances,
        }
    )
    return read_build(build.model_copy(update={"draft": draft}).model_dump())
