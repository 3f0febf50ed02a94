"""A drawn figure against the wearer: what its picture asks of her, and what she can give (model, section 17)."""

import math
from collections.abc import Iterator, Mapping

import numpy as np
from pydantic import Field

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.fit.target import comfortable_reduction
from fuseau.craft.wearer.as_drawn import (
    MOST_SHOULDER_MM,
    MOST_TURN_DEG,
    Across,
    AsDrawn,
    Way,
    WayDrawn,
    as_drawn,
)
from fuseau.craft.wearer.measures import SeenLevel
from fuseau.craft.wearer.silhouette import off_front, seen_width
from fuseau.document.build import Build, Picture
from fuseau.planning.pictures.across import across_of, usable
from fuseau.planning.plan import Plan

_SHOWS_MM = 6.0  # less on each side nobody sees
_THICKEST_MM = 80.0
_WIDENS = {
    "hip": "drawn.rest.skirt",
    "high_hip": "drawn.rest.skirt",
    "bust": "drawn.rest.shoulders",
    "high_bust": "drawn.rest.shoulders",
    "shoulders": "drawn.rest.shoulders",
}
_FAR_PERCENT = 6.0  # a figure that no way comes nearer to is nobody's
_SHOULDERS_RATIO = 2.1  # width to depth over shoulders and arms: an estimate, not measured


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
    unknown: tuple[SeenLevel, ...] = ()
    limit_share: float = 0.0
    makes_so: dict[Way, tuple[Change, ...]] = Field(default_factory=dict)
    rest: dict[Way, tuple[Message, ...]] = Field(default_factory=dict)
    together: int = 0
    spreads: dict[SeenLevel, float] = Field(default_factory=dict)


def read_drawn(build: Build, planned: Plan, picture: Picture) -> DrawnRead | None:
    """What a picture asks of the wearer; None while nothing is marked across it."""
    across = across_of(picture)
    if not across:
        return None
    kept, fault, says = usable(across)
    if fault is not None:
        return DrawnRead(picture=picture.id, fault=fault, limit_share=_limit(build, planned))
    widths = {level: (one.width, one.spread) for level, one in kept.items()}
    read = _read(build, planned, picture.id, widths, picture.turned_deg, picture.stays, filmed=picture.made == "filmed")
    return read.model_copy(update={"says": (*says, *read.says)})


def read_together(build: Build, planned: Plan) -> DrawnRead | None:
    """What all references together ask of her, seen from the front; None while fewer than two tell her proportions.

    Each picture has a scale of its own: ln(width) = level + scale by least squares, each over its spread, once what a
    turn hides of a width is put back. `spreads` is how far the pictures differ at a level.
    """
    hers = _hers(build, planned)
    rows: list[tuple[int, SeenLevel, float, float]] = []
    shown: list[Picture] = []
    for picture in build.brief.pictures:
        if picture.role != "reference" or off_front(picture.turned_deg) > MOST_TURN_DEG:
            continue
        widths = {
            level: (one.width / float(seen_width(0.5, hers[level].width_to_depth, picture.turned_deg)), one.spread)
            for level, one in usable(across_of(picture))[0].items()
            if level in hers
        }
        if len(widths) > 1 and "waist" in widths:
            rows += [(len(shown), level, math.log(width), spread) for level, (width, spread) in widths.items()]
            shown.append(picture)
    if len(shown) < 2:
        return None
    names = list(dict.fromkeys(row[1] for row in rows))
    matrix = np.zeros((len(rows) + 1, len(names) + len(shown)))
    for k, (i, level, *_) in enumerate(rows):
        matrix[k, names.index(level)] = matrix[k, len(names) + i] = 1.0
    matrix[-1, len(names) :] = 1.0  # the scales come to nothing together
    told = np.array([*(row[2] for row in rows), 0.0])
    sure = 1 / np.array([*(row[3] for row in rows), 1.0])
    found = np.linalg.lstsq(matrix * sure[:, None], told * sure, rcond=None)[0]
    off = (told - matrix @ found)[:-1]
    spreads: dict[SeenLevel, float] = {}
    widths = {}
    for i, level in enumerate(names):
        here = [k for k, row in enumerate(rows) if row[1] == level]
        marked = 1 / math.sqrt(sum(float(sure[k]) ** 2 for k in here))
        if len(here) > 1:
            spreads[level] = math.sqrt(sum(float(off[k]) ** 2 for k in here) / (len(here) - 1))
            marked = max(marked, spreads[level] / math.sqrt(len(here)))
        widths[level] = float(np.exp(found[i])), marked
    stays = {picture.stays for picture in build.brief.pictures if picture.marks and across_of(picture)}
    filmed = all(picture.made == "filmed" for picture in shown)
    read = _read(build, planned, "", widths, 0.0, stays.pop() if len(stays) == 1 else None, filmed=filmed)
    return read.model_copy(update={"together": len(shown), "spreads": spreads})


def _limit(build: Build, planned: Plan) -> float:
    practice = build.practice
    limit = practice.caution_reduction_new if build.wearer.new_to_lacing else practice.caution_reduction
    if planned.body and "waist" in planned.body:
        limit = min(limit, comfortable_reduction(planned.body, practice))
    return limit


def _hers(build: Build, planned: Plan) -> dict[SeenLevel, Across]:
    """What of her is known that a picture can show; drawn as wide as nothing yet."""
    found: dict[SeenLevel, Across] = {
        level.name: Across(
            name=level.name,
            girth_mm=level.girth_mm,
            width_to_depth=level.width_to_depth,
            give=level.give,
            drawn=0.0,
        )
        for level in planned.body or ()
    }
    if build.wearer.shoulders_mm is not None:
        found["shoulders"] = Across(
            name="shoulders",
            girth_mm=build.wearer.shoulders_mm,
            width_to_depth=_SHOULDERS_RATIO,
            give=0.0,
            drawn=0.0,
            most_padding_mm=MOST_SHOULDER_MM,
        )
    return found


def _read(
    build: Build,
    planned: Plan,
    picture: str,
    widths: Mapping[SeenLevel, tuple[float, float]],
    turn_deg: float,
    stays: SeenLevel | None,
    *,
    filmed: bool,
) -> DrawnRead:
    limit, hers = _limit(build, planned), _hers(build, planned)
    read = DrawnRead(picture=picture, limit_share=limit, unknown=tuple(level for level in widths if level not in hers))
    levels = [
        hers[level].model_copy(update={"drawn": wide, "spread": spread})
        for level, (wide, spread) in widths.items()
        if level in hers
    ]
    try:
        found = as_drawn(levels, turn_deg=turn_deg, limit_share=limit, stays=stays)
    except Unmakeable as error:
        return read.model_copy(update={"fault": error.message})
    return read.model_copy(
        update={
            "found": found,
            "says": tuple(_says(found, limit, filmed=filmed)),
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
    left = {level: 1.0 if level == "shoulders" else 1 - gives for level in way.padding_mm}  # once it is worn
    pads = [
        {"level": level, "place": "sides", "thick_mm": float(min(_THICKEST_MM, round(mm / left[level])))}
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


def _says(found: AsDrawn, limit: float, *, filmed: bool) -> list[Message]:
    ways = {way.way: way for way in found.ways}
    said = []
    if ways["as drawn"].reduction_share > limit + 1e-9:
        said.append(message("drawn.past_limit", share=ways["as drawn"].reduction_share, limit=limit))
    nearest = min(way.likeness_percent for way in found.ways)
    if nearest > _FAR_PERCENT:
        said.append(message("drawn.filmed_far" if filmed else "drawn.nobody", percent=nearest))
    within = ways["within the limits"]
    if found.flat_from_share < 0.005 and ways["no squeeze"].padding_mm:
        said.append(message("drawn.padding"))
    elif found.flat_from_share < within.reduction_share - 0.01:
        said.append(message("drawn.flat", share=found.flat_from_share))
    return said
