"""What was seen on the garment itself at a fitting, and what that asks of the pattern: pinches, edges, side seam."""

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.fitting.inference import Learned
from fuseau.craft.pattern.pattern import BlockGirth, EdgeLine, Pattern, summed
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build
from fuseau.document.fittings import EdgeSaid, Fitting, Pinch, Tap

_EDGE_REACH_MM = 12.0  # a pinch that comes so close to top line or hem runs out there
_LEAST_SWING_MM = 2.0
_AT_LEVEL_MM = 20.0
_AT_EDGE_MM = 15.0
_LEFT_MM = 4.0  # what stands off at the back, less than this apart from the whole, is noise


def pinch_profile(pinch: Pinch, heights: Array, low: float, high: float) -> Array:
    """A pinch's amount along `heights` (mm): its peak in the middle, fading with C1 ends, or running out at an edge."""
    start, end = sorted((pinch.from_mm, pinch.to_mm))
    start, end = max(start, low), min(end, high)
    peak = (start + end) / 2
    if start <= low + _EDGE_REACH_MM < high - _EDGE_REACH_MM <= end:
        return np.full(len(heights), pinch.amount_mm)
    if end >= high - _EDGE_REACH_MM:
        peak = end
    elif start <= low + _EDGE_REACH_MM:
        peak = start
    reach = np.where(heights > peak, max(end - peak, 1e-9), max(peak - start, 1e-9))
    off = np.clip(np.abs(heights - peak) / reach, 0, 1)
    beyond = ((heights > end) & (peak == end)) | ((heights < start) & (peak == start))
    return np.asarray(np.where(beyond, pinch.amount_mm, pinch.amount_mm * (1 - off**2 * (3 - 2 * off))))


def fittings_of_current(build: Build) -> list[Fitting]:
    """The fittings of the present version, in the order they were."""
    current = build.current
    return [one for one in build.fittings if current and one.version == current.number]


def pinched_by_seam(pattern: Pattern, pinches: tuple[tuple[Pinch, ...], ...]) -> dict[int, Array]:
    """What was pinched out of each seam of a pattern at its stations (stations,), mm on each half.

    `pinches` are those of each of its fittings, in their order. From the last that pinched a seam: an older one is of
    the same garment, seen again.
    """
    nominal, low, high = pattern.shape.nominal, min(pattern.hem.heights()), max(pattern.top.heights())
    found: dict[int, Array] = {}
    for fitting in pinches:
        for seam in {one.seam for one in fitting}:
            mine = [pinch_profile(one, nominal, low, high) for one in fitting if one.seam == seam]
            found[seam] = np.sum(mine, axis=0)
    return {seam: amount for seam, amount in found.items() if np.max(np.abs(amount)) > 0.25}


def slack_seen(build: Build, body: Body, learned: Learned | None = None) -> tuple[BlockGirth, ...]:
    """Cloth that stood off in one place at the fittings of the present version, by level (model, section 3).

    Touched in front or at the side, at the back beyond what the whole garment does there (`learned`), or pinched out of
    a seam; slashed open (below zero) it was missing there. From the last fitting that tells of any. It bore no tension,
    so it says nothing of her girth, and is mended where it was seen.
    """
    current = build.current
    backs = np.array([level.back_mm for level in body])
    for fitting in reversed(fittings_of_current(build)):
        found = [_touched(tap, body) for tap in fitting.taps if tap.off_mm and tap.view != "back"]
        found += [
            _in_block(_at_levels(one.z_mm, one.left_mm, backs), body, 0.0)
            for one in (learned.stands_off if learned else ())
            if one.fitting == fitting.number and one.left_mm > _LEFT_MM
        ]
        if current:
            found += [_taken(pinch, body, current.pattern) for pinch in fitting.pinches]
        if found:
            return summed(*found)
    return ()


def jaw_digs(fitting: Fitting, pattern: Pattern) -> tuple[Tap, ...]:
    """Where the top edge of a collar digs under the jaw: it tells of the edge's height there, not of her girth."""
    tops = {"front": pattern.top.cf_mm, "side": pattern.top.side_mm}
    return tuple(
        tap
        for tap in fitting.taps
        if tap.word == "digs" and tap.view in tops and tap.z_mm > tops[tap.view] - _AT_EDGE_MM
    )


def _touched(tap: Tap, body: Body) -> tuple[BlockGirth, ...]:
    heights = np.array([level.front_mm if tap.view == "front" else level.side_mm for level in body])
    amounts = _at_levels(tap.z_mm, tap.off_mm or 0.0, heights)
    return _in_block(amounts, body, 1.0 if tap.view == "front" else 0.5)


def _taken(pinch: Pinch, body: Body, pattern: Pattern) -> tuple[BlockGirth, ...]:
    heights = np.array([level.side_mm for level in body])
    low, high = min(pattern.hem.heights()), max(pattern.top.heights())
    amounts = 2 * pinch_profile(pinch, heights, low, high)
    if float(np.max(np.abs(amounts))) < abs(pinch.amount_mm):  # its peak lies between the levels
        amounts = _at_levels((pinch.from_mm + pinch.to_mm) / 2, 2 * pinch.amount_mm, heights)
    side = pattern.front_panels
    return _in_block(amounts, body, 1.0 if pinch.seam < side else 0.5 if pinch.seam == side else 0.0)


def _at_levels(z: float, mm: float, heights: Array) -> Array:
    """An amount at one height as the least amounts at the levels about it that come to it there; at one, if near."""
    nearest = float(heights[np.argmin(np.abs(heights - z))])
    z = nearest if abs(nearest - z) < _AT_LEVEL_MM else z
    weights = np.array([float(np.interp(z, heights, row)) for row in np.eye(len(heights))])
    return np.asarray(mm * weights / float(weights @ weights))


def _in_block(amounts: Array, body: Body, front: float) -> tuple[BlockGirth, ...]:
    return tuple(
        BlockGirth(level=level.name, front_mm=front * float(mm), back_mm=(1 - front) * float(mm))
        for level, mm in zip(body, amounts, strict=True)
        if abs(mm) > 0.05
    )


def moved_edges(said: tuple[EdgeSaid, ...], top: EdgeLine, hem: EdgeLine) -> tuple[EdgeLine, EdgeLine]:
    """Top line and hem, lowered where they were said to be too high, and the other way; the last word counts."""
    off: dict[tuple[str, str], float] = {(one.edge, one.place): one.off_mm for one in said}
    fields = {"CF": "cf_mm", "side": "side_mm", "CB": "cb_mm"}

    def lowered(line: EdgeLine, edge: str) -> EdgeLine:
        moved = {field: getattr(line, field) - off.get((edge, place), 0.0) for place, field in fields.items()}
        return line.model_copy(update=moved) if any(key[0] == edge for key in off) else line

    return lowered(top, "top"), lowered(hem, "hem")


def with_side_seam_seen(build: Build, body: Body) -> Body:
    """The body with its front shares as the side seam told them: it swings to where the garment is too small."""
    told = [one for one in build.fittings if one.swings_mm is not None]
    version = build.version_numbered(told[-1].version) if told else None
    if version is None or abs(told[-1].swings_mm or 0.0) < _LEAST_SWING_MM:
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
    fittings = {one.number: one.corrected for one in build.fittings}
    found: dict[int, int] = {}
    for version in build.versions:
        if version.fitting is not None and fittings.get(version.fitting, 0) > version.fitting_corrected:
            found[version.number] = version.fitting
        elif version.parent in found:
            found[version.number] = found[version.parent]
    return found
