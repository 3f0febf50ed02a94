"""What is said of a plan as a whole: lessons, soft edges, what her own changes make of the gap, what stops it."""

from fuseau.craft.base.errors import CraftError, Unsettled
from fuseau.craft.base.findings import Change, Finding, Stage, finding, mend
from fuseau.craft.fit.fit import Fit
from fuseau.craft.fit.target import Aim
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LEVEL_LABELS, LevelName
from fuseau.craft.wearer.pads import girths_added
from fuseau.document.build import Build
from fuseau.planning.cache import StageCache
from fuseau.planning.garment.fits import FitInputs, settle_fit
from fuseau.planning.garment.lacings import final_lacing
from fuseau.planning.stages.bones import (
    STIFF,
    check_edges,
    with_stiff_edges,
)


def lessons(build: Build) -> list[Finding]:
    """What she would have changed of the garment that this one is made like, until it is seen to."""
    findings = []
    for i, lesson in enumerate(build.brief.lessons):
        others = [lesson for k, lesson in enumerate(build.brief.lessons) if k != i]
        seen_to = mend("mend.seen_to", Change(at="brief.lessons", value=others))
        findings.append(finding("lesson", "brief", "advice", at="brief.lessons", mend=seen_to, text=lesson))
    return findings


def check_soft_edges(
    build: Build, cache: StageCache, pattern: Pattern, aimed: Aim, body: Body, final: Fit
) -> list[Finding]:
    """Soft lacing edges that let the gap bow, settled once more with stiff ones."""
    if (
        not build.back.laced
        or abs(final.shape.bow_mm) <= build.practice.parallel_mm
        or build.bones.lacing_edge == STIFF
    ):
        return []
    stiff = final_lacing(with_stiff_edges(build), pattern, aimed)
    return check_edges(build, final, cache.run(settle_fit, FitInputs(stiff, body)))


def check_decided(build: Build, pattern: Pattern, final: Fit) -> list[Finding]:
    """What her own changes, or the ease she asked for, make of the gap where it is not as wished: never turned back."""
    wished, off = build.gap_mm, final.shape
    amiss = max(abs(off.mean_mm - wished), abs(off.tilt_mm) / 2)
    if amiss < build.practice.worth_changing_mm / 2 or GARMENT_KINDS[build.kind].tied:
        return []
    by_level: dict[str, tuple[LevelName, float]] = {}
    if pattern.decided:
        most = max(pattern.decided, key=lambda one: abs(one.whole_mm))
        by_level["by_hand.in" if most.whole_mm < 0 else "by_hand.out"] = most.level, most.whole_mm
    elif build.target.ease_at:
        level, ease = max(build.target.ease_at.items(), key=lambda one: abs(one[1]))
        by_level["by_ease.in" if ease < 0 else "by_ease.out"] = level, ease
    return [
        finding(
            "by_hand" if code.startswith("by_hand") else "by_ease",
            "pattern",
            "advice",
            where=LEVEL_LABELS[level],
            numbers={
                "changed_mm": abs(changed),
                "gap_mm": off.mean_mm,
                "wished_mm": wished,
                "tilt_mm": abs(off.tilt_mm),
            },
            said=code,
            level=level,
        )
        for code, (level, changed) in by_level.items()
    ]


def stopped_by(error: CraftError) -> Finding:
    """Why nothing could be planned."""
    roots: dict[str, Stage] = {"wearer": "wearer", "mock_up": "mockups", "bones": "bones", "front": "front"}
    unsettled = isinstance(error, Unsettled)
    return finding(
        "unsettled" if unsettled else "unmakeable",
        "back" if error.at.startswith("back.") else roots.get(error.at.split(".")[0], "pattern"),
        "stop",
        at=None if unsettled else error.at,
        said=error.message.code,
        also=error.message.given,
    )


def meant_beside(build: Build, body: Body) -> dict[LevelName, float]:
    """Room that was asked for and padding that is worn, by level: by how much it is meant to be wider, mm."""
    padded = girths_added(build.pads, body, build.practice.pad_gives_share)
    eased = build.target.ease_at
    return {level.name: eased.get(level.name, 0.0) + float(mm) for level, mm in zip(body, padded, strict=True)}
