"""Lines on the flat garment, as they run over its panels, and where seams cross them (model, section 15)."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.trueing import LaidPanel, Point
from fuseau.craft.trims.choices import TrimLine

_NEAR_MM = 0.5
_INSIDE_MM = 1.5  # a spot so far outside the stitch line still is on the panel: it was drawn by hand


class OnPanel(Record):
    """What of a line lies on a panel: points as it lies, and from which mm of the line on."""

    panel: int
    points: tuple[tuple[float, float], ...]
    from_mm: float


class Crossing(Record):
    """Where a seam crosses a line: mm from its beginning."""

    seam: str
    at_mm: float


@dataclass(frozen=True)
class RunLine:
    """A line of one half: what lies on each panel, its length, and the seams that cross it."""

    parts: tuple[OnPanel, ...]
    length_mm: float
    crossings: tuple[Crossing, ...]

    def at(self, run_mm: float) -> tuple[int, Point]:
        """The panel and point at a length along the line."""
        part = max((part for part in self.parts if part.from_mm <= run_mm + 1e-9), key=lambda part: part.from_mm)
        points = np.array(part.points)
        along = np.concatenate(([0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))))
        run = run_mm - part.from_mm
        return part.panel, (float(np.interp(run, along, points[:, 0])), float(np.interp(run, along, points[:, 1])))


def run_line(
    line: TrimLine, panels: Sequence[LaidPanel], channels: Mapping[str, tuple[int, Sequence[Point]]], at: str
) -> RunLine:
    """A line as it runs over the panels of a half. `channels` by label: the panel, and the path from the top down.

    Raises Unmakeable at a field below `at` for a line that is not on the garment.
    """
    pieces = _pieces(line, panels, channels, at)
    parts, crossings, run = [], [], 0.0
    for i, (panel, points) in enumerate(pieces):
        if i and panel != pieces[i - 1][0]:
            crossings.append((seam_label(min(panel, pieces[i - 1][0])), run))
        parts.append((panel, points, run))
        run += length_of(points)
    whole = run
    begins, ends = line.begins_mm or 0.0, whole if line.ends_mm is None else line.ends_mm
    if begins >= whole - _NEAR_MM:
        raise Unmakeable(f"{at}.line.begins_mm", "trim.begins_past", length_mm=whole)
    ends = min(ends, whole)
    kept = tuple(
        OnPanel(panel=panel, points=cut, from_mm=max(0.0, start - begins))
        for panel, points, start in parts
        if (cut := _between(points, begins - start, ends - start))
    )
    crossed = tuple(Crossing(seam=seam, at_mm=at_mm - begins) for seam, at_mm in crossings if begins < at_mm < ends)
    return RunLine(kept, ends - begins, crossed)


def _pieces(
    line: TrimLine, panels: Sequence[LaidPanel], channels: Mapping[str, tuple[int, Sequence[Point]]], at: str
) -> list[tuple[int, Sequence[Point]]]:
    if line.on == "top line":
        return [(panel.number, _inside(panel, panel.top, -line.in_mm, at)) for panel in panels]
    if line.on == "hem":
        return [(panel.number, _inside(panel, panel.hem, line.in_mm, at)) for panel in panels]
    if line.on == "waist":
        return [(panel.number, panel.waist) for panel in panels]
    if line.on == "seam":
        seam = line.seam or 0
        if seam > len(panels):
            raise Unmakeable(f"{at}.line.seam", "trim.no_seam", count=float(len(panels)))
        edge = panels[0].cf_edge if seam == 0 else panels[seam - 1].cb_edge
        return [(max(seam, 1), _downward(edge))]
    if line.on == "channel":
        channel = line.channel or ""
        if channel not in channels:
            raise Unmakeable(f"{at}.line.channel", "trim.no_channel", channel=channel)
        panel, path = channels[channel]
        return [(panel, _downward(path))]
    return _drawn(line, panels, at)


def _downward(points: Sequence[Point]) -> Sequence[Point]:
    return points if points[0][1] >= points[-1][1] else tuple(reversed(points))


def _from_cf(points: Sequence[Point]) -> Sequence[Point]:
    return points if points[0][0] <= points[-1][0] else tuple(reversed(points))


def _inside(panel: LaidPanel, edge: Sequence[Point], by_mm: float, at: str) -> Sequence[Point]:
    """An edge from CF back, moved up or down by so much and cut to the panel."""
    points = np.array(_from_cf(edge))
    if by_mm:
        points = points + np.array([0.0, by_mm])
        cf, cb = np.array(panel.cf_edge), np.array(panel.cb_edge)
        left = np.interp(points[0, 1], *_by_height(cf))
        right = np.interp(points[-1, 1], *_by_height(cb))
        span = points[-1, 0] - points[0, 0]
        if right - left < _NEAR_MM or span < _NEAR_MM:
            raise Unmakeable(f"{at}.line.in_mm", "trim.off_panel", panel=float(panel.number))
        points[:, 0] = left + (points[:, 0] - points[0, 0]) / span * (right - left)
        other = np.array(panel.hem if by_mm < 0 else panel.top)
        gone = points[:, 1] - np.interp(points[:, 0], *_by_width(other))
        if (gone.min() if by_mm < 0 else -gone.max()) < 0:
            raise Unmakeable(f"{at}.line.in_mm", "trim.off_panel", panel=float(panel.number))
    return [(float(x), float(z)) for x, z in points]


def _by_height(edge: np.ndarray) -> tuple[np.ndarray, np.ndarray]:
    order = np.argsort(edge[:, 1])
    return edge[order, 1], edge[order, 0]


def _by_width(edge: np.ndarray) -> tuple[np.ndarray, np.ndarray]:
    order = np.argsort(edge[:, 0])
    return edge[order, 0], edge[order, 1]


def _drawn(line: TrimLine, panels: Sequence[LaidPanel], at: str) -> list[tuple[int, Sequence[Point]]]:
    """Spots joined on each panel; from one panel to the next the line goes on at the seam between them."""
    from shapely.geometry import Point as Place
    from shapely.geometry import Polygon

    shapes = {panel.number: Polygon(panel.outline).buffer(_INSIDE_MM) for panel in panels}
    found: list[tuple[int, list[Point]]] = []
    for i, spot in enumerate(line.spots):
        if spot.panel not in shapes:
            raise Unmakeable(f"{at}.line.spots.{i}.panel", "trim.no_panel", panel=float(spot.panel))
        if not shapes[spot.panel].contains(Place(spot.x_mm, spot.z_mm)):
            raise Unmakeable(f"{at}.line.spots.{i}", "trim.off_panel", panel=float(spot.panel))
        point = (spot.x_mm, spot.z_mm)
        if found and found[-1][0] == spot.panel:
            found[-1][1].append(point)
            continue
        if found:
            _carry_over(found, spot.panel, point, panels, f"{at}.line.spots.{i}")
        found.append((spot.panel, [*(_meeting(found, spot.panel, panels) if found else []), point]))
    return [(panel, points) for panel, points in found if len(points) > 1]


def _carry_over(
    found: list[tuple[int, list[Point]]], to: int, point: Point, panels: Sequence[LaidPanel], at: str
) -> None:
    """The last part led to the seam towards the next panel, at the height between both spots."""
    last, points = found[-1]
    if abs(to - last) != 1:
        raise Unmakeable(at, "trim.leaps", panel=float(last), other=float(to))
    height = (points[-1][1] + point[1]) / 2
    panel = panels[last - 1]
    points.append(_on_edge(panel.cb_edge if to > last else panel.cf_edge, height))


def _meeting(found: list[tuple[int, list[Point]]], to: int, panels: Sequence[LaidPanel]) -> list[Point]:
    last, points = found[-1]
    panel = panels[to - 1]
    return [_on_edge(panel.cf_edge if to > last else panel.cb_edge, points[-1][1])]


def _on_edge(edge: Sequence[Point], height: float) -> Point:
    heights, xs = _by_height(np.array(edge))
    z = float(np.clip(height, heights[0], heights[-1]))
    return float(np.interp(z, heights, xs)), z


def _between(points: Sequence[Point], begins: float, ends: float) -> tuple[tuple[float, float], ...]:
    """A stretch of a polyline, by its length; nothing where it does not reach there."""
    line = np.array(points, dtype=float)
    along = np.concatenate(([0.0], np.cumsum(np.hypot(*np.diff(line, axis=0).T))))
    begins, ends = max(0.0, begins), min(float(along[-1]), ends)
    if ends - begins < _NEAR_MM:
        return ()
    if begins <= 0.0 and ends >= float(along[-1]):
        return tuple((float(x), float(z)) for x, z in points)
    stops = np.concatenate(([begins], along[(along > begins) & (along < ends)], [ends]))
    xs, zs = np.interp(stops, along, line[:, 0]), np.interp(stops, along, line[:, 1])
    return tuple(zip(xs.tolist(), zs.tolist(), strict=True))
