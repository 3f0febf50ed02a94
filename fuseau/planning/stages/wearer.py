"""The wearer's stage: the body as measured, and what is odd or missing about the measures."""

from dataclasses import dataclass
from typing import Self

from fuseau.craft.base.findings import Finding, finding
from fuseau.craft.base.practice import Practice
from fuseau.craft.wearer.body import Body, Taught, believe, check_rise, remembered
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS, KindName
from fuseau.craft.wearer.measures import LEVEL_LABELS, LevelName, Wearer, Zones
from fuseau.document.build import Build

_TOLD_SHARE = 0.7  # of how far a guess may be off: what is known nearer than this was told by fittings


@dataclass(frozen=True)
class MeasuredInputs:
    """What the body follows from before any fitting of this build."""

    kind: KindName
    wearer: Wearer
    zones: Zones
    practice: Practice
    taught: tuple[Taught, ...]

    @classmethod
    def of(cls, build: Build) -> Self:
        """What earlier fittings taught counts only on the measuring that they rest on."""
        taught, ref = build.taught, build.measuring
        rests = taught is not None and ref is not None and taught.measuring_id == ref.measuring_id
        levels = taught.levels if taught is not None and rests else ()
        return cls(kind=build.kind, wearer=build.wearer, zones=build.zones, practice=build.practice, taught=levels)


def measured_body(inputs: MeasuredInputs) -> Body:
    """The body as taped, or as earlier fittings taught.

    Raises ValueError when a needed girth is missing, Unmakeable where the levels do not rise.
    """
    kind = GARMENT_KINDS[inputs.kind]
    check_rise(inputs.wearer, kind.levels)
    taped = believe(inputs.wearer, inputs.zones, inputs.practice, kind.levels, kind.needed)
    return remembered(taped, inputs.taught) if inputs.taught else taped


def ask_for(missing: list[LevelName]) -> Finding:
    """Which girths have to be measured before a pattern can be drafted."""
    names = [LEVEL_LABELS[name].lower() for name in missing]
    spoken = names[0] if len(names) == 1 else ", ".join(names[:-1]) + " and " + names[-1]
    return finding("measure", "wearer", "stop", at=f"wearer.{missing[0]}.readings_mm", levels=spoken)


def check_guesses(body: Body, guess_spread_mm: float) -> list[Finding]:
    """Levels that nobody measured, and what is taken for them: from their neighbours, or as fittings told."""
    return [
        finding(
            "guessed" if level.spread_mm > _TOLD_SHARE * guess_spread_mm else "guessed.told",
            "wearer",
            "advice",
            at=f"wearer.{level.name}.readings_mm",
            where=LEVEL_LABELS[level.name],
            numbers={"girth_mm": level.girth_mm, "spread_mm": level.spread_mm},
            level=level.name,
        )
        for level in body
        if not level.measured
    ]
