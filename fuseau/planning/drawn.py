"""A drawn figure against the wearer: what its picture asks of her, and what she can give (model, section 17)."""

import math
from collections.abc import Iterator, Mapping

import numpy as np
from pydantic import Field

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.fit.target import comfortable_reduction
from fuseau.craft.wearer.as_drawn import MOST_TURN_DEG, Across, AsDrawn, Way, WayDrawn, as_drawn
from fuseau.craft.wearer.measures import LevelName
from fuseau.craft.wearer.silhouette import seen_width
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
    """A picture read, or so many `together`: three ways to come near it, or why that can't be told.

    Of several `picture` is empty, and `spreads` is how far they differ at a level. `says` stands before the numbers.

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
    together: int = 0
    spreads: dict[LevelName, float] = Field(default_factory=dict)


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
    return _read(build, planned, picture.id, widths, picture.turned_deg, picture.stays)


def read_together(build: Build, planned: Plan) -> DrawnRead | None:
    """What all references together ask of her, seen from the front; None while fewer than two tell her proportions.

    Each picture has a scale of its own: ln(width) = level + scale by least squares, once what a turn hides of a width
    is put back. `spreads` is how far the pictures differ at a level.
    """
    body = {level.name: level for level in planned.body} if planned.body else {}
    rows: list[tuple[int, LevelName, float]] = []
    seen = 0
    for picture in build.brief.pictures:
        widths = {
            level: (right - left) / float(seen_width(0.5, body[level].width_to_depth, picture.turned_deg))
            for level, (left, right, _) in across_of(picture).items()
            if level in body and right - left >= _LEAST_SHARE
        }
        if (
            picture.role == "reference"
            and picture.turned_deg <= MOST_TURN_DEG
            and len(widths) > 1
            and "waist" in widths
        ):
            rows += [(seen, level, math.log(width)) for level, width in widths.items()]
            seen += 1
    if seen < 2:
        return None
    names = list(dict.fromkeys(level for _, level, _ in rows))
    matrix = np.zeros((len(rows) + 1, len(names) + seen))
    for k, (i, level, _) in enumerate(rows):
        matrix[k, names.index(level)] = matrix[k, len(names) + i] = 1.0
    matrix[-1, len(names) :] = 1.0  # the scales come to nothing together
    told = np.array([*(log for *_, log in rows), 0.0])
    found = np.linalg.lstsq(matrix, told, rcond=None)[0]
    off = (told - matrix @ found)[:-1]
    spreads = {}
    for level in names:
        here = [float(off[k]) for k, row in enumerate(rows) if row[1] == level]
        if len(here) > 1:
            spreads[level] = math.sqrt(sum(one**2 for one in here) / (len(here) - 1))
    stays = {picture.stays for picture in build.brief.pictures if across_of(picture)}
    read = _read(
        build,
        planned,
        "",
        {level: float(np.exp(found[k])) for k, level in enumerate(names)},
        0.0,
        stays.pop() if len(stays) == 1 else None,
    )
    return read.model_copy(update={"together": seen, "spreads": spreads})


def _read(
    build: Build, planned: Plan, picture: str, widths: dict[LevelName, float], turn_deg: float, stays: LevelName | None
) -> DrawnRead:
    practice = build.practice
    limit = practice.caution_reduction_new if build.wearer.new_to_lacing else practice.caution_reduction
    body = {level.name: level for level in planned.body} if planned.body else {}
    gives = comfortable_reduction(planned.body, practice) if planned.body and "waist" in body else limit
    limit = min(limit, gives)
    read = DrawnRead(picture=picture, limit_share=limit)
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
        found = as_drawn(levels, turn_deg=turn_deg, limit_share=limit, stays=stays)
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
    """The target's reduction, and padding that pressed flat is what the way asks for; what is so is not told.

    Padding elsewhere than at the sides of what is marked is hers, and stays.
    """
    target, percent = build.target, round(100 * way.reduction_share, 1)
    supports = target.job == "none" and not percent
    if not supports and (target.job, target.reduction_percent) != ("reduction_share", percent):
        yield Change(at="target.job", value="reduction_share")
        yield Change(at="target.reduction_percent", value=percent)
    gives = build.practice.pad_gives_share
    pads = [
        {"level": level, "place": "sides", "thick_mm": float(min(_THICKEST_MM, round(mm / (1 - gives))))}
        for level, mm in way.padding_mm.items()
    ]
    asked = [pad for pad in build.pads if pad.place == "sides" and pad.level in way.widths_mm]
    stay = [pad.model_dump(mode="json") for pad in build.pads if pad not in asked]
    if {(pad.level, pad.thick_mm) for pad in asked} != {(pad["level"], pad["thick_mm"]) for pad in pads}:
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
