"""What was seen on the garment itself at a fitting, and what that asks of the pattern: pinches, edges, side seam."""

import math
from dataclasses import dataclass

import numpy as np

from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.pattern import BlockGirth, EdgeLine, Pattern, summed
from fuseau.craft.pattern.places import At, PlacedChange, between, reach, spread
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build
from fuseau.document.fittings import EdgeSaid, Fitting, Pinch, StandOff, Tap

_AT_EDGE_MM = 15.0
_AT_LEVEL_MM = 20.0
_AT_SIDE = 0.2  # of the way from CF to the side: so near it, a place is the side's
_LEAST_LEFT_MM = 1.0


def fittings_of_current(build: Build) -> list[Fitting]:
    """The fittings of the present version, in the order they were."""
    current = build.current
    return [fitting for fitting in build.fittings if current and fitting.version == current.number]


@dataclass(frozen=True)
class Seen:
    """What was seen at places of a version: the changes that answer it, and what no seam there takes.

    `left_mm` is by level, mm of girth.
    """

    places: tuple[PlacedChange, ...] = ()
    left_mm: tuple[BlockGirth, ...] = ()


def seen_at_places(build: Build, body: Body) -> Seen:
    """What was pinned, slashed or stood off at places of the present version (model, 3 and 5: a change has a place).

    Cloth that stood off bore no tension, so it says nothing of her girth, and is mended where it was seen: a pinch at
    its seam and heights, what was touched at the nearest seams of its block, what was typed of a level at its sides.
    Of each seam, of each block that was touched and of each level that was typed, the last fitting that tells of it
    counts: an older one is of the same garment, seen again.
    """
    current = build.current
    if current is None:
        return Seen()
    pattern, practice = current.pattern, build.practice
    pinned: dict[int, list[PlacedChange]] = {}
    loose: dict[str, list[tuple[list[PlacedChange], BlockGirth]]] = {}
    for fitting in fittings_of_current(build):
        mine: dict[int, list[PlacedChange]] = {}
        for pinch in fitting.pinches:
            mine.setdefault(pinch.seam, []).append(_pinned(pinch, pattern, fitting.number))
        pinned.update(mine)
        off = [tap for tap in fitting.taps if tap.off_mm]
        for view in {tap.view for tap in off}:
            taps = (tap for tap in off if tap.view == view)
            loose[view] = [_touched(tap, pattern, body, practice, fitting.number) for tap in taps]
        for stand_off in fitting.stand_offs:
            if _reaches(pattern, body[stand_off.level].side_mm):
                loose[stand_off.level] = [_typed(stand_off, pattern, body, practice, fitting.number)]
    places = [one for mine in pinned.values() for one in mine]
    left = []
    for found, over in (one for mine in loose.values() for one in mine):
        places += found
        if abs(over.whole_mm) > _LEAST_LEFT_MM:
            left.append(over)
    return Seen(_apart(places), summed(tuple(left)))


def _reaches(pattern: Pattern, z_mm: float) -> bool:
    low, high = reach(pattern)
    return low <= z_mm <= high


def _typed(
    stand_off: StandOff, pattern: Pattern, body: Body, practice: Practice, fitting: int
) -> tuple[list[PlacedChange], BlockGirth]:
    """What stood off all round a level, taken out at the side seams first; and what is over, mm of girth."""
    found, over = spread(
        pattern,
        1.0,
        body[stand_off.level].side_mm,
        practice.place_reach_mm,
        -stand_off.off_mm / 2,
        behind=None,
        half="both",
        cap_mm=practice.seam_cap_mm,
    )
    told = {"seen": "stood off" if stand_off.off_mm > 0 else "slashed", "fitting": fitting}
    return [one.model_copy(update=told) for one in found], BlockGirth(level=stand_off.level, front_mm=2 * over)


def _pinned(pinch: Pinch, pattern: Pattern, fitting: int) -> PlacedChange:
    found = between(pattern, pinch.seam, pinch.from_mm, pinch.to_mm, -pinch.amount_mm, half=pinch.half)
    return found.model_copy(update={"seen": "pinned" if pinch.amount_mm > 0 else "slashed", "fitting": fitting})


def _touched(
    tap: Tap, pattern: Pattern, body: Body, practice: Practice, fitting: int
) -> tuple[list[PlacedChange], BlockGirth]:
    """Taken out at the nearest seams of the block that was touched, as high as it was touched; and what is over."""
    spot = spot_of(tap, body)
    side = abs(spot.round - 1) < _AT_SIDE
    found, over = spread(
        pattern,
        spot.round,
        _about(spot.z_mm, body),
        practice.place_reach_mm,
        -(tap.off_mm or 0.0) / (2 if tap.half == "both" else 1),
        behind=None if side else spot.round > 1,
        half=tap.half,
        cap_mm=practice.seam_cap_mm,
    )
    told = {"seen": "stood off", "fitting": fitting}
    level = min(body, key=lambda one: abs(one.side_mm - tap.z_mm)).name
    whole = 0.0 if tap.view == "back" else (2 if tap.half == "both" else 1) * over
    return [one.model_copy(update=told) for one in found], BlockGirth(level=level, front_mm=whole)


def _about(z_mm: float, body: Body) -> float:
    """The height that was meant by a touch, which is no finer than some centimetres: at a level, if it is near.

    It follows the touch without a jump: it stays at the level for half of the way to where nothing is made of it.
    """
    heights = sorted(level.side_mm for level in body)
    k = min(range(len(heights)), key=lambda i: abs(heights[i] - z_mm))
    off = z_mm - heights[k]
    other = heights[min(max(k + (1 if off > 0 else -1), 0), len(heights) - 1)]
    wide = min(_AT_LEVEL_MM, abs(other - heights[k]) / 2 or _AT_LEVEL_MM)
    return heights[k] + math.copysign(min(abs(off), max(2 * abs(off) - wide, 0.0)), off)


@dataclass(frozen=True)
class Spot:
    """A place on her: round her (0 at CF, 1 at the side, 2 at CB), and its height at the side, as the levels lie there.

    `z_mm` is the nominal height.
    """

    round: float
    z_mm: float


def spot_of(tap: Tap, body: Body) -> Spot:
    """Where a touch on the drawn wearer lies: she is an ellipse at each height, whose width `across` runs over."""
    level = min(body, key=lambda one: abs(one.side_mm - tap.z_mm))
    shift = {"front": level.front_mm, "back": level.back_mm}.get(tap.view, level.side_mm) - level.side_mm
    turned = math.asin(2 * tap.across - 1) / (math.pi / 2)
    return Spot({"front": abs(turned), "back": 2 - abs(turned)}.get(tap.view, 1 + turned), tap.z_mm - shift)


def _apart(places: list[PlacedChange]) -> tuple[PlacedChange, ...]:
    """Changes of one seam, half and reach added up, and each with a peak of its own."""
    summed_up: dict[tuple[object, ...], PlacedChange] = {}
    for place in places:
        where = place.seam, place.half, place.low_mm, place.peak_mm, place.high_mm
        was = summed_up.get(where)
        if was is not None:
            sides = {"cf_side_mm": was.cf_side_mm + place.cf_side_mm, "cb_side_mm": was.cb_side_mm + place.cb_side_mm}
            place = was.model_copy(update=sides)
        summed_up[where] = place
    found: dict[At, PlacedChange] = {}
    for one in summed_up.values():
        while one.at in found:
            one = one.model_copy(update={"peak_mm": one.peak_mm + 1.0})
        found[one.at] = one
    return tuple(found.values())


def jaw_digs(fitting: Fitting, pattern: Pattern) -> tuple[Tap, ...]:
    """Where the top edge of a collar digs under the jaw: it tells of the edge's height there, not of her girth."""
    tops = {"front": pattern.top.cf_mm, "side": pattern.top.side_mm}
    return tuple(
        tap
        for tap in fitting.taps
        if tap.word == "digs" and tap.view in tops and tap.z_mm > tops[tap.view] - _AT_EDGE_MM
    )


def moved_edges(said: tuple[EdgeSaid, ...], top: EdgeLine, hem: EdgeLine) -> tuple[EdgeLine, EdgeLine]:
    """Top line and hem, lowered where they were said to be too high, and the other way; the last word counts."""
    off: dict[tuple[str, str], float] = {(one.edge, one.place): one.off_mm for one in said}
    fields = {"CF": "cf_mm", "side": "side_mm", "CB": "cb_mm"}

    def lowered(line: EdgeLine, edge: str) -> EdgeLine:
        moved = {field: getattr(line, field) - off.get((edge, place), 0.0) for place, field in fields.items()}
        return line.model_copy(update=moved) if any(key[0] == edge for key in off) else line

    return lowered(top, "top"), lowered(hem, "hem")


def side_seam_off(build: Build) -> float:
    """How far to the front the side seam of the present version hung, as last said, mm; 0 where it hung right."""
    told = [fitting.swings_mm for fitting in fittings_of_current(build) if fitting.swings_mm is not None]
    return told[-1] if told and abs(told[-1]) >= build.practice.side_seam_off_mm else 0.0


def with_side_seam_seen(build: Build, body: Body) -> Body:
    """The body with its front shares as the side seam told them: it swings to where the garment is too small."""
    told = [fitting for fitting in build.fittings if fitting.swings_mm is not None]
    version = build.version_numbered(told[-1].version) if told else None
    if version is None or abs(told[-1].swings_mm or 0.0) < build.practice.side_seam_off_mm:
        return body
    shape, gap = version.pattern.shape, build.gap_mm
    heights = np.array([level.side_mm for level in body])
    front = shape.front_half(heights) + (told[-1].swings_mm or 0.0)
    shares = np.clip(2 * front / (shape.sewn_girth(heights) + gap), 0.3, 0.7)
    levels = tuple(
        level.model_copy(update={"front_share": float(share)}) for level, share in zip(body.levels, shares, strict=True)
    )
    return body.model_copy(update={"levels": levels})


def stale_versions(build: Build) -> dict[int, int]:
    """Versions that came, by however many steps, from a fitting that was corrected since: with its number."""
    fittings = {fitting.number: fitting.corrected for fitting in build.fittings}
    found: dict[int, int] = {}
    for version in build.versions:
        if version.fitting is not None and fittings.get(version.fitting, 0) > version.fitting_corrected:
            found[version.number] = version.fitting
        elif version.parent in found:
            found[version.number] = found[version.parent]
    return found
