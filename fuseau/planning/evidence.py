"""What was seen on the garment itself at a fitting, and what that asks of the pattern: pinches, edges, side seam."""

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.pattern.pattern import EdgeLine, Pattern
from fuseau.craft.wearer.body import Body
from fuseau.document.build import Build
from fuseau.document.fittings import EdgeSaid, Fitting, Pinch

_EDGE_REACH_MM = 12.0  # a pinch that comes so close to top line or hem runs out there
_LEAST_SWING_MM = 2.0


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
    shape, gap = version.pattern.shape, build.target.gap_mm
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
