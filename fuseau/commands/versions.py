"""Pattern versions: cut, accepted, gone back to, fixed. They take today's date, since the core has no clock."""

import datetime

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit
from fuseau.craft.pattern.pattern import Pattern
from fuseau.document.build import Build, HemWish, PatternVersion, TopWish, with_parts
from fuseau.planning.plan import Plan
from fuseau.wording import Words


def cut_version(build: Build, planned: Plan, today: datetime.date) -> Build:
    """Keep the plan's draft as version 1. Raises Unmakeable if one is kept already, or nothing is drafted."""
    if build.versions:
        raise Unmakeable("versions", "version.first_is_cut")
    if planned.drafted is None:
        raise Unmakeable("versions", "version.measures_first")
    first = PatternVersion(
        number=1, reason="drafted", made_on=today, pattern=planned.drafted, made_for=planned.made_for
    )
    return with_parts(build, versions=(first,))


def accept(build: Build, planned: Plan, today: datetime.date, unit: Unit = "cm") -> Build:
    """The build with the plan's proposal as its next version, its reason put in words.

    Raises Unmakeable if nothing is proposed.
    """
    proposal, current = planned.proposal, build.current
    if proposal is None or current is None:
        raise Unmakeable("versions", "version.nothing_to_accept")
    following = PatternVersion(
        number=current.number + 1,
        parent=current.number,
        reason=Words(unit)(proposal.reason),
        fitting=proposal.fitting,
        fitting_corrected=next(
            (fitting.corrected for fitting in build.fittings if fitting.number == proposal.fitting), 0
        ),
        made_on=today,
        made_for="" if proposal.left_mm else planned.made_for,  # what is left over comes in the version after
        pattern=proposal.pattern,
        alteration=proposal.alteration,
    )
    made = build.model_copy(update={"versions": (*build.versions, following), "line_edits": ()})
    return as_drafted(made, proposal.pattern)


def go_back(build: Build, number: int, today: datetime.date) -> Build:
    """The build with an old version's pattern as its next version. Raises Unmakeable if there is none such."""
    old, current = build.version_numbered(number), build.current
    if old is None or current is None:
        raise Unmakeable("versions", "version.none_to_go_back_to", version=number)
    if old.number == current.number:
        raise Unmakeable("versions", "version.present_already", version=number)
    reason = f"back to version {old.number}"
    return with_version(build, old.pattern, reason, today, parent=old.number, made_for=old.made_for)


def fix_version(build: Build) -> Build:
    """The build with its present version cut: it is not drawn on any more. Raises Unmakeable if there is none."""
    current = build.current
    if current is None or current.cut:
        raise Unmakeable("versions", "version.none_drawn_on")
    return fixed(build)


def fixed(build: Build) -> Build:
    current = build.current
    if current is None or current.cut:
        return build
    return build.model_copy(update={"versions": (*build.versions[:-1], current.model_copy(update={"cut": True}))})


def with_version(
    build: Build,
    pattern: Pattern,
    reason: str,
    today: datetime.date,
    *,
    parent: int | None = None,
    cut: bool = True,
    changes: tuple[str, ...] = (),
    made_for: str = "",
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
        made_for=made_for,
    )
    return as_drafted(build.model_copy(update={"versions": (*build.versions, following)}), pattern)


def as_drafted(build: Build, pattern: Pattern) -> Build:
    """Choices of the draft that the present version answers itself: its panels, edges and allowances."""
    draft = build.draft.model_copy(
        update={
            "panels": len(pattern.panels),
            "top": TopWish(),
            "hem": HemWish(),
            "allowances": pattern.allowances,
            "waist_mm": 0.0,
        }
    )
    return with_parts(build, draft=draft)


def as_of_version(build: Build, number: int) -> Build:
    """The build as it stood when it had come to this version: later ones, and their fittings, are left out.

    Raises Unmakeable at `version` where there is no such version.
    """
    if build.version_numbered(number) is None:
        raise Unmakeable("version", "version.none", number=float(number))
    kept = tuple(fitting for fitting in build.fittings if fitting.version < number)
    return build.model_copy(
        update={"versions": build.versions[:number], "fittings": kept, "line_edits": ()}
        if number < len(build.versions)
        else {}
    )
