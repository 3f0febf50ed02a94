"""What follows from the brief: choices of later stages, each with the reason, and the change that makes it so."""

from fuseau.craft.base.findings import Change, Stage
from fuseau.craft.base.record import Record
from fuseau.craft.fit.target import Job
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.document.build import Build


class Consequence(Record):
    """One thing that follows: why, what, at which stage; `changes` make it so where it is not so yet."""

    because: str
    then: str
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


def _of_the_job(build: Build) -> list[Consequence]:
    word = job_word(build)
    if KINDS[build.kind].tied:
        return [
            Consequence(
                because="it is worn round the neck",
                then="laced for looks and never drawn in: two fingers slide under it everywhere",
                stage="pattern",
            )
        ]
    if word == "support":
        return [
            Consequence(
                because="it only supports",
                then="lighter bones will do, the pull is light everywhere, and a zip is fine",
                stage="bones",
                changes=_unless(build.bones.lacing_edge in ("flat_6", "synthetic_7"), "bones.lacing_edge", "flat_6"),
            )
        ]
    if word == "gentle shaping":
        return [
            Consequence(
                because="it shapes gently",
                then="flat steel at the lacing edge keeps the gap straight; the seams may be synthetic",
                stage="bones",
                changes=_unless(build.bones.lacing_edge.startswith("flat"), "bones.lacing_edge", "flat_12"),
            )
        ]
    return [
        Consequence(
            because="it reduces",
            then="flat steel at the lacing edge, a waist tape in the layers, and a mock-up that is laced",
            stage="bones",
            changes=_unless(build.bones.lacing_edge == "flat_12", "bones.lacing_edge", "flat_12"),
        )
    ]


def _unless(so_already: bool, at: str, value: object) -> tuple[Change, ...]:
    return () if so_already else (Change(at=at, value=value),)


def _of_dressing(build: Build) -> list[Consequence]:
    brief, found = build.brief, []
    if brief.alone and not KINDS[build.kind].tied:
        opens = KINDS[build.kind].busk
        separates = build.front.opening in ("busk", "zip", "hooks", "lacing")
        found.append(
            Consequence(
                because="she gets in alone",
                then="pull loops at the waist" + (", and a front that opens" if opens else ""),
                stage="front",
                changes=_unless(separates or not opens, "front.opening", "busk"),
            )
        )
    if brief.laced_by == "herself":
        found.append(
            Consequence(
                because="she laces it herself",
                then="no harder than close: nobody draws firmly behind her own back",
                stage="pattern",
                changes=_unless(build.target.pull != "firm", "target.pull", "close"),
            )
        )
    return found


def _of_wearing(build: Build) -> list[Consequence]:
    brief, target, found = build.brief, build.target, []
    reduces: tuple[Job, ...] = ("reduction", "reduction_share", "closed_waist")
    if brief.hours_worn is not None and brief.hours_worn >= 6 and target.job in reduces:
        gentle = target.job == "reduction_share" and target.reduction_percent <= 8
        changes = (Change(at="target.job", value="reduction_share"), Change(at="target.reduction_percent", value=8))
        found.append(
            Consequence(
                because=f"it is worn {brief.hours_worn:g} hours",
                then="8 % of the waist at the most, and a gap to loosen into",
                stage="pattern",
                changes=() if gentle else changes,
            )
        )
    if brief.heat == "hot":
        found.append(
            Consequence(
                because="it will be hot",
                then="few layers, a lining that breathes, breaks to loosen; take it easy in heat",
                stage="pattern",
            )
        )
    if "sit" in brief.movement and not KINDS[build.kind].tied:
        measured = build.wearer.waist_to_lap_sitting_mm is not None
        found.append(
            Consequence(
                because="she has to sit",
                then="the hem in front stops 2 cm short of the lap"
                + ("" if measured else ": measure waist to lap, sitting"),
                stage="pattern" if measured else "wearer",
            )
        )
    if {"bend", "dance"} & set(brief.movement):
        found.append(
            Consequence(
                because="she bends and dances in it",
                then="spiral steel on the curved seams, which bends every way",
                stage="bones",
                changes=_unless(build.bones.seams == "spiral_6", "bones.seams", "spiral_6"),
            )
        )
    if "raise arms" in brief.movement:
        found.append(
            Consequence(because="she raises her arms", then="the top line stays low under the arm", stage="pattern")
        )
    if "drive" in brief.movement:
        found.append(
            Consequence(
                because="she drives to get there",
                then="lace it after the drive: never drive hard in a laced corset",
                stage="brief",
            )
        )
    return found


def _of_what_is_near(build: Build) -> list[Consequence]:
    brief, found = build.brief, []
    if brief.worn_under.strip():
        found.append(
            Consequence(
                because=f"{brief.worn_under.strip()[:60]} under it",
                then="measure over it, and give its thickness to the layers",
                stage="wearer",
            )
        )
    if brief.covered.strip():
        found.append(
            Consequence(
                because=f"{brief.covered.strip()[:60]} will be covered",
                then="what nobody sees may be invented: put closures and seams there",
                stage="brief",
            )
        )
    return found
