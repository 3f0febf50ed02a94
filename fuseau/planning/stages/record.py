"""The card of a garment, which fills itself from the plan, the log and the fittings (model, section 14)."""

import datetime
from collections.abc import Iterator, Sequence
from typing import Literal

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.findings import Message, Stage, message
from fuseau.craft.base.record import Record
from fuseau.craft.making.record_choices import GarmentPhoto
from fuseau.craft.materials.catalogue import GROMMETS, LACES
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.pattern.trueing import Point
from fuseau.craft.plies.methods import METHODS
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.stages.make import steps_of
from fuseau.planning.told.cost import cost_of

_RELAXES_MM = 8.0  # of gap from the first wear to the last: less is the hand that drew it
_ROOM_MM = 14.0  # between panels, where a half is drawn small
_STAGES: dict[Stage, str] = {
    "mockups": "mock-ups",
    "layers": "plies",
    "cut": "cutting",
    "bones": "bones",
    "front": "front",
    "back": "back",
    "trims": "trims",
    "make": "sewing",
}
FactGroup = Literal["measures", "made of", "took"]
Counted = Literal["length", "run", "count", "grams", "hours", "cost"]


class Fact(Record):
    """A line of the card. `number` is what cards are compared by: mm, pieces, grams, hours, money; see `counted`."""

    group: FactGroup
    name: str
    value: Message
    number: float | None = None
    counted: Counted | None = None


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


class Grown(Record):
    """What the gap told of the cloth: how far it closed from the first wear to the last, in how many wears."""

    cloth: ClothName
    closed_mm: float
    wears: int
    round_mm: float


class Card(Record):
    """A garment on one card: its measures, what it is made of and how, what it took, and what is said of its wears.

    `outlines` are its panels, stitch lines laid out from CF to CB, mm. Empty of what is not known yet.
    """

    kind: str
    wearer: str
    version: int | None
    facts: tuple[Fact, ...]
    tried: tuple[Tried, ...]
    gaps: tuple[WornGap, ...]
    says: tuple[Message, ...]
    photos: tuple[GarmentPhoto, ...]
    grown: Grown | None
    outlines: tuple[tuple[Point, ...], ...]


def card(build: Build, planned: Plan) -> Card:
    """The card as it stands, whatever is still open."""
    pattern = planned.pattern
    gaps = tuple(
        WornGap(on=wear.on, gap_mm=wear.gap_mm)
        for wear in sorted(build.record.wears, key=lambda wear: wear.on)
        if wear.gap_mm is not None
    )
    return Card(
        kind=build.kind,
        wearer=build.wearer.name,
        version=pattern.version if pattern else None,
        facts=_told_apart((*_measures(build, planned), *_made_of(build, planned), *_took(build, planned))),
        tried=tuple(
            Tried(
                version=fitting.version,
                gap_mm=sum(read.gap_mm for read in fitting.readings) / len(fitting.readings)
                if fitting.readings
                else None,
                note=fitting.note,
                hours=fitting.hours,
                cost=fitting.cost,
            )
            for fitting in build.fittings
        ),
        gaps=gaps,
        says=_says(gaps),
        photos=build.record.photos,
        grown=_grown(build, planned, gaps),
        outlines=_side_by_side([panel.outline[::3] for panel in pattern.panels]) if pattern else (),
    )


def _told_apart(facts: Sequence[Fact]) -> tuple[Fact, ...]:
    """Lines that are called alike, such as two linings, told apart by a number."""
    seen: dict[tuple[FactGroup, str], int] = {}
    found = []
    for fact in facts:
        number = seen[fact.group, fact.name] = seen.get((fact.group, fact.name), 0) + 1
        found.append(fact if number == 1 else fact.model_copy(update={"name": f"{fact.name} ({number})"}))
    return tuple(found)


def _side_by_side(outlines: Sequence[Sequence[Point]]) -> tuple[tuple[Point, ...], ...]:
    """Panels from CF to CB, each with a little room to the one before."""
    at, found = 0.0, []
    for outline in outlines:
        left, right = min(x for x, _ in outline), max(x for x, _ in outline)
        found.append(tuple((round(x - left + at, 1), round(z, 1)) for x, z in outline))
        at += right - left + _ROOM_MM
    return tuple(found)


def _length(name: str, mm: float | None) -> Iterator[Fact]:
    if mm is not None:
        value = message("card.length", mm=mm)
        yield Fact(group="measures", name=name, value=value, number=mm, counted="length")


def _measures(build: Build, planned: Plan) -> Iterator[Fact]:
    aim, pattern = planned.aim, planned.pattern
    panels = pattern.panels if pattern else ()
    front = pattern.front_panels if pattern else 0
    if aim:
        yield from _length("closed waist", aim.closed_waist_mm)
        yield from _length("worn waist", aim.worn_waist_mm)
        yield from _length("reduction", aim.reduction_mm)
    yield from _length("gap behind", planned.final.shape.mean_mm if planned.final and build.back.laced else None)
    yield from _length("CF length", length_of(panels[0].cf_edge) if panels else None)
    yield from _length("side length", length_of(panels[front - 1].cb_edge) if 0 < front <= len(panels) else None)
    yield from _length("CB length", length_of(panels[-1].cb_edge) if panels else None)


def _made(name: str, value: Message, number: float | None = None, counted: Counted | None = None) -> Fact:
    return Fact(group="made of", name=name, value=value, number=number, counted=counted)


def _made_of(build: Build, planned: Plan) -> Iterator[Fact]:
    pattern, holes = planned.pattern, planned.holes
    if pattern:
        count = float(len(pattern.panels))
        yield _made("panels", message("card.panels", count=count), count, "count")
    for ply in planned.layers.plies if planned.layers else ():
        yield _made(ply.role, message("card.text", text=ply.label))
    yield _made("made up", message("card.text", text=build.layers.method))
    for kind, count in _bones(planned).items():
        yield _made(kind, message("card.bones", count=float(count)), count, "count")
    if planned.opening:
        yield _made("opens by", planned.opening.title)
    if holes:
        rows = float(len(holes.z_mm))
        yield _made("holes", message("card.rows", count=rows, what=GROMMETS[build.back.holes].label), rows, "count")
    if planned.lace and planned.lace_mm:
        what = LACES[build.back.lace].label
        yield _made("lace", message("card.run", what=what, mm=planned.lace_mm), planned.lace_mm, "run")
    if planned.modesty is not None:
        panel = planned.modesty
        said = message("card.modesty", mm=panel.width_mm, count=float(len(panel.bones_mm)), bone=panel.bone_label)
        yield _made("modesty panel", said, panel.width_mm, "length")
    for name, amount in _trims(planned):
        yield _made(f"trim: {name}", amount)
    grams = _grams(planned)
    if grams:
        yield _made("weight, about", message("card.grams", grams=grams), grams, "grams")
    bound = METHODS[build.layers.method].edges == "bound"
    yield _made("edges", message("card.text", text=f"bound {build.make.binding}" if bound else "turned in"))


def _trims(planned: Plan) -> Iterator[tuple[str, Message]]:
    """Each trim, and how much of it there is."""
    trims = planned.trims
    if trims is None:
        return
    for along in trims.along:
        if along.laid and along.laid.count is not None:
            yield along.name, message("card.bones", count=float(along.laid.count))
        elif along.laid:
            yield along.name, message("card.long", mm=along.laid.needed_mm or 0.0)
    for area in trims.areas:
        if area.laid:
            yield area.name, message("card.area", cm2=area.laid.cm2)
    for floss in trims.flossing:
        if floss.laid:
            yield floss.name, message("card.floss", count=float(floss.laid.count))
    for hung in trims.hanging:
        if hung.fault is None:
            yield hung.name, message("card.hem", cloth=hung.cloth_label, mm=hung.hem_mm)
    for strap in trims.straps:
        if strap.laid:
            yield strap.name, message("card.length", mm=strap.laid.finished_mm)
    for chain in trims.chains:
        yield chain.name, message("card.long", mm=chain.count * chain.length_mm)


def _grams(planned: Plan) -> float:
    """What it weighs: plies, bones, the panel behind, trims, and what hangs from it."""
    layers = planned.layers.grams if planned.layers else 0.0
    bones = planned.boning.grams if planned.boning else 0.0
    behind = planned.modesty.bones_grams if planned.modesty else 0.0
    trims = planned.trims.grams + planned.trims.hanging_grams if planned.trims else 0.0
    return layers + bones + behind + trims


def _bones(planned: Plan) -> dict[str, int]:
    """How many bones of each kind are in the channels of both halves."""
    left = planned.left.bones if planned.left else planned.bones
    counts: dict[str, int] = {}
    for bone in (*planned.bones, *left):
        if bone.length_mm > 0:
            counts[bone.kind_label] = counts.get(bone.kind_label, 0) + bone.count
    return counts


def _took_line(name: str, number: float, counted: Counted) -> Fact:
    if counted == "hours":
        value = message("card.hours", hours=number)
    elif counted == "cost":
        value = message("card.cost", amount=number)
    else:
        value = message("card.bones", count=number)
    return Fact(group="took", name=name, value=value, number=number, counted=counted)


def _took(build: Build, planned: Plan) -> Iterator[Fact]:
    """Mock-ups, hours as they were logged by the stage that they went into, and what it comes to in money."""
    if build.fittings:
        yield _took_line("mock-ups tried on", float(len(build.fittings)), "count")
    logged = sum(entry.minutes for entry in build.make.log)
    if logged:
        yield _took_line("at it", logged / 60, "hours")
        for stage, minutes in _by_stage(build, planned).items():
            yield _took_line(_STAGES.get(stage, stage), minutes / 60, "hours")
    tried = sum(fitting.hours or 0.0 for fitting in build.fittings)
    if tried:
        yield _took_line("hours on mock-ups, as noted", tried, "hours")
    cost = cost_of(build, planned)
    for name, amount in cost.parts.items():
        yield _took_line("mock-ups cost" if name == "mock-ups" else f"{name}, about", amount, "cost")
    if cost.in_all > cost.mock_ups:
        yield _took_line("in all, about", cost.in_all, "cost")


def _by_stage(build: Build, planned: Plan) -> dict[Stage, float]:
    """Minutes that were logged, by the stage that the steps belong to."""
    stages = {step.key: step.stage for step in steps_of(build, planned)}
    minutes: dict[Stage, float] = {}
    for entry in build.make.log:
        stage = stages.get(entry.step, "make")
        minutes[stage] = minutes.get(stage, 0.0) + entry.minutes
    return minutes


def _says(gaps: tuple[WornGap, ...]) -> tuple[Message, ...]:
    """What the gap over wears tells: it closes as cloth stretches or flesh gives, and opens where it was drawn less."""
    if len(gaps) < 2:
        return ()
    change = gaps[-1].gap_mm - gaps[0].gap_mm
    if abs(change) < _RELAXES_MM:
        return (message("record.steady", wears=float(len(gaps))),)
    code = "record.closes" if change < 0 else "record.opens"
    return (message(code, change_mm=abs(change), wears=float(len(gaps))),)


def _grown(build: Build, planned: Plan, gaps: tuple[WornGap, ...]) -> Grown | None:
    """What the wears told of the cloth that takes the pull; None where the gap hardly closed."""
    if len(gaps) < 2 or planned.aim is None or planned.layers is None:
        return None
    closed = gaps[0].gap_mm - gaps[-1].gap_mm
    cloth = strength_cloth(planned)
    if closed < _RELAXES_MM or cloth is None:
        return None
    return Grown(cloth=cloth, closed_mm=closed, wears=len(gaps), round_mm=planned.aim.closed_waist_mm)


def strength_cloth(planned: Plan) -> ClothName | None:
    """The cloth that takes most of the pull."""
    plies = planned.layers.plies if planned.layers else ()
    strong = max(plies, key=lambda ply: ply.carries_n_per_m or 0.0, default=None)
    return strong.cloth if strong and strong.carries_n_per_m else None


# --- two cards side by side


class CardDifference(Record):
    """A line of two cards: as each says it, whether that differs, and by how much from the first to the second."""

    group: FactGroup
    name: str
    first: Message | None
    second: Message | None
    differs: bool
    by: Message | None = None


def compare(first: Card, second: Card) -> tuple[CardDifference, ...]:
    """Every line that either card has, by groups, in the order of the first card."""
    lines = {(fact.group, fact.name): fact for fact in first.facts}
    others = {(fact.group, fact.name): fact for fact in second.facts}
    names = list(dict.fromkeys([*lines, *others]))
    groups: list[FactGroup] = ["measures", "made of", "took"]
    names.sort(key=lambda name: groups.index(name[0]))
    return tuple(_difference(group, name, lines.get((group, name)), others.get((group, name))) for group, name in names)


def _difference(group: FactGroup, name: str, fact: Fact | None, other: Fact | None) -> CardDifference:
    by = None
    if fact and other and fact.number is not None and other.number is not None and fact.counted == other.counted:
        change = other.number - fact.number
        if abs(change) >= _SHOWN[fact.counted or "count"]:
            by = message(f"card.by.{fact.counted}", by=change)
    differs = by is not None or (fact is None) != (other is None)
    if fact and other and not differs:
        differs = fact.number is None and fact.value != other.value
    return CardDifference(
        group=group,
        name=name,
        first=fact.value if fact else None,
        second=other.value if other else None,
        differs=differs,
        by=by,
    )


_SHOWN: dict[str, float] = {"length": 0.5, "run": 50.0, "count": 0.5, "grams": 0.5, "hours": 0.05, "cost": 0.005}
