"""A drawn figure against the wearer: what its picture asks of her, and what she can give (model, section 17)."""

from collections.abc import Iterator, Mapping

from pydantic import Field

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.fit.target import comfortable_reduction
from fuseau.craft.wearer.as_drawn import Across, AsDrawn, Way, WayDrawn, as_drawn
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Build, Picture
from fuseau.planning.plan import Plan

_LEVELS: Mapping[str, LevelName] = {
    "bust across": "bust",
    "underbust across": "underbust",
    "waist across": "waist",
    "high hip across": "high_hip",
    "hip across": "hip",
}
_SHOWS_MM = 6.0  # less on each side nobody sees
_THICKEST_MM = 80.0
_WIDENS = {"hip": "drawn.rest.skirt", "high_hip": "drawn.rest.skirt", "bust": "drawn.rest.shoulders"}
_FAR_PERCENT = 6.0  # a figure that no way comes nearer to is nobody's
_LEAST_SHARE = 0.01  # of the picture: a narrower line is no width


class DrawnRead(Record):
    """A picture read: three ways to come near it, or why that can't be told; `says` stands before the numbers.

    `unknown`: marked levels of which nothing is measured. `limit_share`: what is comfortable, or the caution.
    `makes_so`: what sets a way's target and padding; `rest`: what of the costume has to do what is left of it.
    """

    picture: str
    found: AsDrawn | None = None
    fault: Message | None = None
    says: tuple[Message, ...] = ()
    unknown: tuple[LevelName, ...] = ()
    limit_share: float = 0.0
    makes_so: dict[Way, tuple[Change, ...]] = Field(default_factory=dict)
    rest: dict[Way, tuple[Message, ...]] = Field(default_factory=dict)


def across_of(picture: Picture) -> dict[LevelName, tuple[float, float, float]]:
    """Levels marked across a picture: from where to where as shares of its width, and how far down, of its height."""
    found: dict[LevelName, tuple[float, float, float]] = {}
    for mark in picture.marks:
        level = _LEVELS.get(mark.kind)
        if level is not None:
            xs, ys = zip(*mark.points, strict=True)
            found[level] = min(xs), max(xs), sum(ys) / len(ys)
    return found


def read_drawn(build: Build, planned: Plan, picture: Picture) -> DrawnRead | None:
    """What a picture asks of the wearer; None while nothing is marked across it."""
    widths = {level: right - left for level, (left, right, _) in across_of(picture).items()}
    if not widths:
        return None
    practice = build.practice
    limit = practice.caution_reduction_new if build.wearer.new_to_lacing else practice.caution_reduction
    body = {level.name: level for level in planned.body} if planned.body else {}
    gives = comfortable_reduction(planned.body, practice) if planned.body and "waist" in body else limit
    limit = min(limit, gives)
    read = DrawnRead(picture=picture.id, limit_share=limit)
    thin = [level for level, wide in widths.items() if wide < _LEAST_SHARE]
    if thin:
        return read.model_copy(update={"fault": message("drawn.thin", level=thin[0])})
    unknown = tuple(level for level in widths if level not in body)
    levels = [
        Across(
            name=level,
            girth_mm=body[level].girth_mm,
            width_to_depth=body[level].width_to_depth,
            give=body[level].give,
            drawn=wide,
        )
        for level, wide in widths.items()
        if level in body
    ]
    read = read.model_copy(update={"unknown": unknown})
    try:
        found = as_drawn(levels, turn_deg=picture.turned_deg, limit_share=limit, stays=picture.stays)
    except Unmakeable as error:
        return read.model_copy(update={"fault": error.message})
    return read.model_copy(
        update={
            "found": found,
            "says": tuple(_says(found, limit)),
            "makes_so": {way.way: tuple(_makes_so(build, way)) for way in found.ways},
            "rest": {way.way: tuple(_rest(way)) for way in found.ways},
        }
    )


def _makes_so(build: Build, way: WayDrawn) -> Iterator[Change]:
    """The target's reduction, and padding so thick that pressed flat it is what the way asks for.

    Padding elsewhere than at the sides is hers, and stays.
    """
    if build.target.job != "closed_waist" or way.reduction_share:
        yield Change(at="target.job", value="reduction_share")
        yield Change(at="target.reduction_percent", value=round(100 * way.reduction_share, 1))
    gives = build.practice.pad_gives_share
    pads = [
        {"level": level, "place": "sides", "thick_mm": float(min(_THICKEST_MM, round(mm / (1 - gives))))}
        for level, mm in way.padding_mm.items()
    ]
    stay = [pad.model_dump(mode="json") for pad in build.pads if pad.place != "sides"]
    now = [pad.model_dump(mode="json") for pad in build.pads if pad.place == "sides"]
    if [(one["level"], one["thick_mm"]) for one in now] != [(one["level"], one["thick_mm"]) for one in pads]:
        yield Change(at="pads", value=[*pads, *stay])


def _rest(way: WayDrawn) -> Iterator[Message]:
    """What is left between drawn and worn that shows, by what is worn there."""
    for level, worn in way.widths_mm.items():
        lacks = (way.wanted_mm[level] - worn) / 2
        if lacks > _SHOWS_MM:
            yield message(_WIDENS.get(level, "drawn.rest.wider"), mm=lacks, level=level)
        elif lacks < -_SHOWS_MM:
            yield message("drawn.rest.narrower", mm=-lacks, level=level)


def _says(found: AsDrawn, limit: float) -> list[Message]:
    ways = {one.way: one for one in found.ways}
    said = []
    if ways["as drawn"].reduction_share > limit + 1e-9:
        said.append(message("drawn.past_limit", share=ways["as drawn"].reduction_share, limit=limit))
    nearest = min(one.likeness_percent for one in found.ways)
    if nearest > _FAR_PERCENT:
        said.append(message("drawn.nobody", percent=nearest))
    within = ways["within the limits"]
    if found.flat_from_share < 0.005 and ways["no squeeze"].padding_mm:
        said.append(message("drawn.padding"))
    elif found.flat_from_share < within.reduction_share - 0.01:
        said.append(message("drawn.flat", share=found.flat_from_share))
    return said
