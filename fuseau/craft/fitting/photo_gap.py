"""A gap read off a photo of the back: from marks and a known length to millimetres and their spread (model, 6)."""

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record

Spot = tuple[float, float]
_STEP_PX = 0.5
_LEAST_PX = 12.0  # marks of a scale closer than this measure nothing
_KNOWN_TO_MM = 1.0  # how well the known length is known


class GapSeen(Record):
    """A gap on the picture: its height above the zero line, and how far both are off, one standard deviation, mm."""

    z_mm: float
    z_spread_mm: float
    gap_mm: float
    spread_mm: float


@dataclass(frozen=True)
class MarkedBack:
    """Marks on a picture of the back, (x, y) in pixels from its top left.

    `scale` is two points `known_mm` apart, or the corners of a rectangle `known_mm` wide and `known_high_mm` high from
    the top left round by the right; `rows` are left and right edge at some heights.
    """

    width_px: int
    scale: tuple[Spot, ...]
    known_mm: float | None
    known_high_mm: float | None
    waist: Spot | None
    rows: tuple[tuple[Spot, Spot], ...]


def read_back(marked: MarkedBack, practice: Practice) -> list[GapSeen]:
    """Heights and gaps of all rows, from the top down, with spreads from how finely marks can be set.

    Two points give one scale for a picture taken straight on; four corners of a rectangle undo a tilt. Up is along the
    middle of the gap. Raises Unmakeable at `scale`, `known_mm`, `known_high_mm`, `waist` or `rows.<n>`.
    """
    _check(marked)
    marks = np.array([*marked.scale, marked.waist, *(spot for row in marked.rows for spot in row)], dtype=float)
    corners = len(marked.scale)
    known = np.array([marked.known_mm or 0.0, marked.known_high_mm or 0.0])

    def measured(at: Array, length: Array) -> Array:
        flat = to_flat(at[:corners], length)(at[corners:])
        return _heights_and_gaps(flat)

    here = measured(marks, known)
    fine = practice.mark_share * marked.width_px
    variance = np.zeros(here.shape)
    for k in range(len(marks)):
        for axis in (0, 1):
            step = np.zeros(marks.shape)
            step[k, axis] = _STEP_PX
            by = (measured(marks + step, known) - measured(marks - step, known)) / (2 * _STEP_PX)
            variance += (by * fine) ** 2
    for k in range(2 if corners == 4 else 1):
        step = np.eye(2)[k]
        variance += ((measured(marks, known + step) - measured(marks, known - step)) / 2 * _KNOWN_TO_MM) ** 2
    spread = np.sqrt(variance)
    gaps = [
        GapSeen(z_mm=float(z), z_spread_mm=float(z_off), gap_mm=float(gap), spread_mm=max(0.3, float(gap_off)))
        for (z, gap), (z_off, gap_off) in zip(here, spread, strict=True)
    ]
    return sorted(gaps, key=lambda one: -one.z_mm)


def _check(marked: MarkedBack) -> None:
    check_scale(marked.scale, marked.known_mm, marked.known_high_mm)
    if marked.waist is None:
        raise Unmakeable("waist", "photo.no_waist")
    if not marked.rows:
        raise Unmakeable("rows", "photo.no_rows")
    for k, (left, right) in enumerate(marked.rows):
        if left[0] > right[0]:
            raise Unmakeable(f"rows.{k}", "photo.edges_exchanged")


def check_scale(scale: Sequence[Spot], known_mm: float | None, known_high_mm: float | None) -> None:
    """Two points so far apart, or four corners in turn of a rectangle of a known size.

    Raises Unmakeable at `scale`, `known_mm` or `known_high_mm`.
    """
    if len(scale) not in (2, 4):
        raise Unmakeable("scale", "photo.no_scale")
    if not known_mm:
        raise Unmakeable("known_mm", "photo.how_long")
    if len(scale) == 4 and not known_high_mm:
        raise Unmakeable("known_high_mm", "photo.how_high")
    points = np.array(scale)
    if min(np.hypot(*(a - b)) for i, a in enumerate(points) for b in points[:i]) < _LEAST_PX:
        raise Unmakeable("scale", "photo.marks_meet")
    if len(points) == 4:
        sides = np.roll(points, -1, axis=0) - points
        turns = sides[:, 0] * np.roll(sides[:, 1], -1) - sides[:, 1] * np.roll(sides[:, 0], -1)
        if not (turns > 0).all():
            raise Unmakeable("scale", "photo.corners_in_turn")


def to_flat(scale: Array, known: Array) -> Callable[[Array], Array]:
    """From pixels to millimetres in the plane of what was marked, y upwards: by two points, or four corners."""
    if len(scale) == 2:
        mm_per_px = known[0] / float(np.hypot(*(scale[1] - scale[0])))
        return lambda at: np.column_stack([at[:, 0], -at[:, 1]]) * mm_per_px
    width, high = known
    way = _homography(scale, np.array([[0, 0], [width, 0], [width, -high], [0, -high]], dtype=float))

    def mapped(at: Array) -> Array:
        found = np.column_stack([at, np.ones(len(at))]) @ way.T
        return np.asarray(found[:, :2] / found[:, 2:])

    return mapped


def _homography(source: Array, wanted: Array) -> Array:
    """The 3×3 projective map that takes four points to four others."""
    rows, right = [], []
    for (x, y), (u, v) in zip(source, wanted, strict=True):
        rows += [[x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y]]
        right += [u, v]
    return np.append(np.linalg.solve(np.array(rows), np.array(right)), 1.0).reshape(3, 3)


def _heights_and_gaps(flat: Array) -> Array:
    """(rows, 2): height above the waist and gap, measured along and across the middle of the gap."""
    waist, edges = flat[0], flat[1:].reshape(-1, 2, 2)
    middle = edges.mean(axis=1)
    up = np.array([0.0, 1.0])
    if len(middle) > 1:
        off = middle - middle.mean(axis=0)
        up = np.linalg.svd(off)[2][0] if float(np.ptp(middle[:, 1])) > 20 else up
        up = up if up[1] > 0 else -up
    across = np.array([up[1], -up[0]])
    return np.column_stack([(middle - waist) @ up, np.abs((edges[:, 1] - edges[:, 0]) @ across)])


def spots(points: Sequence[Spot], width_px: int, height_px: int) -> tuple[Spot, ...]:
    """Points given as shares of a picture's width and height, in pixels."""
    return tuple((x * width_px, y * height_px) for x, y in points)
