"""What follows from the brief: choices of later stages, each with the reason, and the change that makes it so."""

from fuseau.craft.base.findings import Change, Message, Stage, message
from fuseau.craft.base.record import Record
from fuseau.craft.fit.target import Job
from fuseau.craft.materials.catalogue import BONES
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build

LIGHT, FIRM = BONES["flat_6"], BONES["flat_12"]  # what is proposed for an edge that only supports, or that reduces


class Consequence(Record):
    """One thing that follows: why, what, at which stage; `changes` make it so where it is not so yet."""

    because: Message
    then: Message
    stage: Stage
    changes: tuple[Change, ...] = ()


def consequences(build: Build) -> tuple[Consequence, ...]:
    """What the brief's answers ask of the later stages, in the order of the work."""
    return (*_of_the_job(build), *_of_dressing(build), *_of_wearing(build), *_of_what_is_near(build))


def job_word(build: Build) -> str:
    """Support, gentle shaping or reduction: what the target comes to."""
    target = build.target
    if target.job == "none":
        return "support"
    gentle = target.job == "reduction_share" and target.reduction_percent <= 5
    return "gentle shaping" if gentle else "reduction"


def _follows(code: str, stage: Stage, *changes: Change, then: str | None = None, **given: float | str) -> Consequence:
    """What follows from one answer; `then` is the code of what follows, where one answer has several."""
    return Consequence(
        because=message(f"because.{code}", **given), then=message(f"then.{then or code}"), stage=stage, changes=changes
    )


def _unless(so_already: bool, at: str, value: object) -> tuple[Change, ...]:
    return () if so_already else (Change(at=at, value=value),)


def _of_the_job(build: Build) -> list[Consequence]:
    word, edge = job_word(build), build.bone_kinds[build.bones.lacing_edge]
    if GARMENT_KINDS[build.kind].tied:
        return [_follows("tied", "pattern")]
    if word == "support":
        light = _unless(edge.edgewise_stiffness() <= LIGHT.edgewise_stiffness(), "bones.lacing_edge", LIGHT.name)
        return [_follows("support", "bones", *light)]
    if word == "gentle shaping":
        return [_follows("gentle", "bones", *_unless(edge.stuff.carries_edge, "bones.lacing_edge", FIRM.name))]
    firm = edge.edgewise_stiffness() >= FIRM.edgewise_stiffness()
    return [_follows("reduces", "bones", *_unless(firm, "bones.lacing_edge", FIRM.name))]


def _of_dressing(build: Build) -> list[Consequence]:
    brief, found = build.brief, []
    if brief.alone and not GARMENT_KINDS[build.kind].tied:
        opens = GARMENT_KINDS[build.kind].busk
        separates = build.front.opening in ("busk", "zip", "hooks", "lacing")
        busk = _unless(separates or not opens, "front.opening", "busk")
        found.append(_follows("alone", "front", *busk, then="alone_front" if opens else None))
    if brief.laced_by == "herself":
        close = _unless(build.target.pull != "firm", "target.pull", "close")
        found.append(_follows("laces_herself", "pattern", *close))
    return found


def _of_wearing(build: Build) -> list[Consequence]:
    brief, target, found = build.brief, build.target, []
    reduces: tuple[Job, ...] = ("reduction", "reduction_share", "closed_waist")
    if brief.hours_worn is not None and brief.hours_worn >= 6 and target.job in reduces:
        gentle = target.job == "reduction_share" and target.reduction_percent <= 8
        changes = (Change(at="target.job", value="reduction_share"), Change(at="target.reduction_percent", value=8))
        found.append(_follows("hours", "pattern", *(() if gentle else changes), hours=brief.hours_worn))
    if brief.heat == "hot":
        found.append(_follows("hot", "pattern"))
    if "sit" in brief.movement and not GARMENT_KINDS[build.kind].tied:
        measured = build.wearer.waist_to_lap_sitting_mm is not None
        found.append(_follows("sits", "pattern") if measured else _follows("sits", "wearer", then="sits_measure"))
    if {"bend", "dance"} & set(brief.movement):
        spiral = _unless(build.bones.seams == "spiral_6", "bones.seams", "spiral_6")
        found.append(_follows("bends", "bones", *spiral))
    if "raise arms" in brief.movement:
        found.append(_follows("raises_arms", "pattern"))
    if "drive" in brief.movement:
        found.append(_follows("drives", "brief"))
    return found


def _of_what_is_near(build: Build) -> list[Consequence]:
    brief, found = build.brief, []
    if brief.worn_under.strip():
        found.append(_follows("under", "wearer", what=brief.worn_under.strip()[:60]))
    if brief.covered.strip():
        found.append(_follows("covered", "brief", what=brief.covered.strip()[:60]))
    return found
