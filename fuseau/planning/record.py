"""The card of a garment, which fills itself from the plan, the log and the fittings (model, section 14)."""

import datetime

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.findings import Message, Stage, message
from fuseau.craft.base.record import Record
from fuseau.craft.materials.catalogue import GROMMETS, LACES
from fuseau.document.build import Build
from fuseau.planning.make import steps_of
from fuseau.planning.plan import Plan

_RELAXES_MM = 8.0  # of gap from the first wear to the last: less is the hand that drew it


class BonesOf(Record):
    """Bones of a kind in the garment: how many."""

    kind: str
    count: int


class WorkOf(Record):
    """Minutes that were logged on a kind of work, and those that it was reckoned to take."""

    stage: Stage
    logged_min: float
    steps: int


class Tried(Record):
    """A mock-up that was tried on: of which version, the mean gap read, and what she wrote."""

    version: int
    gap_mm: float | None
    note: str
    hours: float | None
    cost: float | None


class WornGap(Record):
    """The gap that it was worn with on a day."""

    on: datetime.date
    gap_mm: float


class Card(Record):
    """A garment on one card: its measures, what it is made of and how, what it took, and what is said of its wears.

    Lengths are along the stitch line, mm. Empty of what is not known yet.
    """

    kind: str
    wearer: str
    version: int | None
    closed_waist_mm: float | None
    worn_waist_mm: float | None
    reduction_mm: float | None
    gap_mm: float | None
    cf_mm: float | None
    side_mm: float | None
    cb_mm: float | None
    panels: int | None
    bones: tuple[BonesOf, ...]
    opening: Message | None
    rows: int
    holes: str
    lace: str
    lace_mm: float | None
    modesty: bool
    plies: tuple[str, ...]
    method: str
    tried: tuple[Tried, ...]
    work: tuple[WorkOf, ...]
    logged_min: float
    mock_up_cost: float
    gaps: tuple[WornGap, ...]
    says: tuple[Message, ...]


def card(build: Build, planned: Plan) -> Card:
    """The card as it stands, whatever is still open."""
    aim, pattern = planned.aim, planned.pattern
    panels = pattern.panels if pattern else ()
    front = pattern.front_panels if pattern else 0
    right = planned.bones
    left = planned.left.bones if planned.left else right
    counts: dict[str, int] = {}
    for bone in (*right, *left):
        if bone.length_mm > 0:
            counts[bone.kind_label] = counts.get(bone.kind_label, 0) + bone.count
    holes = planned.holes
    gaps = tuple(
        WornGap(on=wear.on, gap_mm=wear.gap_mm)
        for wear in sorted(build.record.wears, key=lambda wear: wear.on)
        if wear.gap_mm is not None
    )
    return Card(
        kind=build.kind,
        wearer=build.wearer.name,
        version=pattern.version if pattern else None,
        closed_waist_mm=aim.closed_waist_mm if aim else None,
        worn_waist_mm=aim.worn_waist_mm if aim else None,
        reduction_mm=aim.reduction_mm if aim else None,
        gap_mm=planned.final.shape.mean_mm if planned.final and build.back.laced else None,
        cf_mm=length_of(panels[0].cf_edge) if panels else None,
        side_mm=length_of(panels[front - 1].cb_edge) if panels and 0 < front <= len(panels) else None,
        cb_mm=length_of(panels[-1].cb_edge) if panels else None,
        panels=len(panels) or None,
        bones=tuple(BonesOf(kind=kind, count=count) for kind, count in counts.items()),
        opening=planned.opening.title if planned.opening else None,
        rows=len(holes.z_mm) if holes else 0,
        holes=GROMMETS[build.back.holes].label if holes else "",
        lace=LACES[build.back.lace].label if planned.lace else "",
        lace_mm=planned.lace_mm,
        modesty=planned.modesty is not None,
        plies=tuple(f"{ply.role}: {ply.label}" for ply in planned.layers.plies) if planned.layers else (),
        method=build.layers.method,
        tried=tuple(
            Tried(
                version=one.version,
                gap_mm=sum(read.gap_mm for read in one.readings) / len(one.readings) if one.readings else None,
                note=one.note,
                hours=one.hours,
                cost=one.cost,
            )
            for one in build.fittings
        ),
        work=_work(build, planned),
        logged_min=sum(entry.minutes for entry in build.make.log),
        mock_up_cost=sum(one.cost or 0.0 for one in build.fittings),
        gaps=gaps,
        says=_says(gaps),
    )


def _work(build: Build, planned: Plan) -> tuple[WorkOf, ...]:
    """What was logged, by the stage that the steps belong to."""
    stages = {step.key: step.stage for step in steps_of(build, planned)}
    minutes: dict[Stage, float] = {}
    keys: dict[Stage, set[str]] = {}
    for entry in build.make.log:
        stage = stages.get(entry.step, "make")
        minutes[stage] = minutes.get(stage, 0.0) + entry.minutes
        keys.setdefault(stage, set()).add(entry.step)
    return tuple(WorkOf(stage=stage, logged_min=took, steps=len(keys[stage])) for stage, took in minutes.items())


def _says(gaps: tuple[WornGap, ...]) -> tuple[Message, ...]:
    """What the gap over wears tells: it closes as cloth stretches or flesh gives, and opens where it was drawn less."""
    if len(gaps) < 2:
        return ()
    change = gaps[-1].gap_mm - gaps[0].gap_mm
    if abs(change) < _RELAXES_MM:
        return (message("record.steady", wears=float(len(gaps))),)
    code = "record.closes" if change < 0 else "record.opens"
    return (message(code, change_mm=abs(change), wears=float(len(gaps))),)
