"""What hangs from a garment on her, and goes over her shoulders: frills, skirts, straps; its cups (model, section 17).

Points are (x, y, z) in mm: to her left, up from the zero line, and ahead.
"""

import math
from collections.abc import Sequence

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.pattern.cups import WIRE_END, Cup
from fuseau.craft.worn.figure import Figure
from fuseau.craft.worn.surface import Patch, SpatialLine, flattened, lifted, spatial

DEEPEST_SHOWN_MM = 320.0
_PER_WAVE = 8
_MOST_COLUMNS = 260
_ROW_MM = 16.0
_CLEAR_MM = 1.5
_GATHERS_MM = 14.0  # from the seam down waves of what is gathered come to their own depth
_STEEP = 0.7  # of a line's way: what goes up and down more than this carries no frill that hangs
# amplitudes of a sine as shares of its length, and how much longer than straight it is
_AMPLITUDES = np.linspace(0.0, 0.68, 35)
_LONGER = np.hypot(1.0, 2 * math.pi * _AMPLITUDES[:, None] * np.cos(np.linspace(0.0, 2 * math.pi, 200, endpoint=False)))
_LONGER = _LONGER.mean(axis=1)
_STRAP_POINTS = 15
_NAPE_MM = 60.0  # behind her middle
_CUP_COLUMNS, _CUP_ROWS = 13, 9


def fall(figure: Figure, line: Array, depth_mm: float, full: Sequence[tuple[float, float]], wave_mm: float) -> Patch:
    """What is sewn to a line on her, (m, 3), and hangs down from it.

    `full` is how much longer it is than the line so far below it, (mm, factor), rising. It hangs straight from the
    farthest out that she or the line lies above, and the cloth that is too much for the round there lies in waves
    a·sin(2πs/λ) about it, as long as it is; fuller than 3 it is not drawn.
    """
    steps = np.linalg.norm(np.diff(line, axis=0), axis=1)
    run = np.concatenate([[0.0], np.cumsum(steps)])
    waves = max(1, round(run[-1] / wave_mm))
    at = np.linspace(0.0, run[-1], min(_MOST_COLUMNS, waves * _PER_WAVE + 1))
    top = np.column_stack([np.interp(at, run, one) for one in line.T])
    rows = max(3, min(20, math.ceil(depth_mm / _ROW_MM) + 1))
    t = np.linspace(0.0, depth_mm, rows)
    radius = np.hypot(top[:, 0], top[:, 2])
    out = top[:, [0, 2]] / np.maximum(radius, 1e-9)[:, None]
    y = top[None, :, 1] - t[:, None]
    base = np.maximum.accumulate(np.maximum(_reach(figure, y, out), radius[None, :]), axis=0) + _CLEAR_MM
    down, factor = np.array(full, float).T
    longer = np.interp(t, down, factor)
    spread = base.mean(axis=1) / base[0].mean()
    waved = run[-1] * spread / waves * np.interp(longer / spread, _LONGER, _AMPLITUDES)
    deep = waved * np.minimum(1.0, t / _GATHERS_MM)
    swing = 1 + np.sin(2 * math.pi * waves * at / run[-1])
    far = base + deep[:, None] * swing[None, :]
    found = np.stack([far * out[None, :, 0], y, far * out[None, :, 1]], axis=2)[::-1]
    return Patch(name="hanging", columns=len(at), rows=rows, points=flattened(found.reshape(-1, 3)))


def hangs_down(line: Array) -> bool:
    """Whether something sewn to this line falls away from it, rather than along it."""
    steps = np.diff(line, axis=0)
    whole = float(np.linalg.norm(steps, axis=1).sum())
    return whole > 0 and float(np.abs(steps[:, 1]).sum()) < _STEEP * whole


def _reach(figure: Figure, y: Array, out: Array) -> Array:
    """How far she reaches in these directions (columns, 2) at heights (rows, columns), mm; below what is known, so."""
    rings = figure.over
    up = figure.up(figure.heights, np.ones(len(figure.heights)))
    nominal = np.interp(y, up, figure.heights)
    half, front, back = (
        np.interp(nominal, rings.heights, one) for one in (rings.half_mm, rings.front_mm, rings.back_mm)
    )
    deep = np.where(out[None, :, 1] >= 0, front, back)
    return 1 / np.sqrt(np.square(out[None, :, 0] / half) + np.square(out[None, :, 1] / deep))


def strap_over(front: Array, back: Array | None, out_mm: float, up_mm: float, wide_mm: float, side: float) -> Patch:
    """A strap from a point in front over the shoulder to one behind; round her nape where it comes back (no `back`).

    `side` is −1 on her right, 1 on her left. Over the shoulder it lies so far out and up; between, it is a parabola.
    """
    shoulder = np.array([side * out_mm, up_mm, 0.0])
    end = np.array([0.0, up_mm, -_NAPE_MM]) if back is None else back
    t = np.linspace(0.0, 1.0, _STRAP_POINTS)[:, None]
    parts = []
    for a, c in ((front, shoulder), (shoulder, end)):
        far = a if a is not shoulder else c
        b = np.array([shoulder[0], up_mm, 0.6 * far[2]])
        parts.append((1 - t) ** 2 * a + 2 * t * (1 - t) * b + t**2 * c)
    middle = np.vstack([parts[0], parts[1][1:]])
    across = np.array([wide_mm / 2, 0.0, 0.0])
    found = np.stack([middle - across, middle, middle + across], axis=1)
    return Patch(name="strap", columns=3, rows=len(middle), points=flattened(found.reshape(-1, 3)))


def strap_round_arm(front: Array, back: Array, arm_mm: float, wide_mm: float) -> Patch:
    """A band from a point in front round the arm beside it to one behind: half of a circle of the arm's girth."""
    radius = arm_mm / (2 * math.pi)
    middle, half = (front + back) / 2, (front - back) / 2
    out = math.copysign(max(radius, 0.8 * float(np.linalg.norm(half))), middle[0])
    angle = np.linspace(0.0, math.pi, 2 * _STRAP_POINTS)[:, None]
    curve = middle + np.cos(angle) * half + np.sin(angle) * np.array([out, 0.0, 0.0])
    up = np.array([0.0, wide_mm / 2, 0.0])
    found = np.stack([curve - up, curve, curve + up], axis=1)
    return Patch(name="strap", columns=3, rows=len(curve), points=flattened(found.reshape(-1, 3)))


def cup_on(figure: Figure, cup: Cup, points_apart_mm: float, front_mm: float) -> tuple[Patch, list[SpatialLine]]:
    """A cup of her right side within its wire, laid on her even round, with the wire and the seam over the bust point.

    `front_mm` is how high the bust lies in front, along her.
    """
    radius = cup.wire_diameter_mm / 2
    wide = radius * math.sin(WIRE_END)
    x = np.linspace(-wide, wide, _CUP_COLUMNS)
    low = -np.sqrt(radius**2 - x**2)
    high = low[0] + (cup.over_point_mm - low[0]) * np.cos(np.pi / 2 * x / wide)
    t = np.linspace(0.0, 1.0, _CUP_ROWS)[:, None]
    z = low + t * np.maximum(high - low, 0.0)
    grid = _on_front(figure, points_apart_mm / 2 + np.tile(x, _CUP_ROWS), front_mm + z.ravel())
    patch = Patch(name="cup", columns=_CUP_COLUMNS, rows=_CUP_ROWS, points=flattened(lifted(grid, 2.0)))
    columns = grid.reshape(_CUP_ROWS, _CUP_COLUMNS, 3)
    lines = [columns[0], columns[-1], columns[:, _CUP_COLUMNS // 2]]
    return patch, [SpatialLine(what="cup", points=spatial(lifted(line, 3.0))) for line in lines]


def _on_front(figure: Figure, from_cf: Array, height_mm: Array) -> Array:
    """Points so far from CF along the ring on her right, and so high along her in front."""
    nominal = np.interp(height_mm, figure.rise_along(0.0), figure.heights)
    return figure.points(figure.over, nominal, np.maximum(from_cf, 0.0))
