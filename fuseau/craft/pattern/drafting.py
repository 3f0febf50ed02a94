"""Drafting flat: from the girths to sew, a half pattern of panels (model, section 4).

Front and back block each have a reference half-girth R, their widest level, split into base fractions; every
panel edge takes an intake off its upright, and a block's intakes add up to R − H(z).
"""

from functools import lru_cache

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.pattern import Allowances, EdgeLine, LeftHalf, Panel, Pattern, Station
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import KindName
from fuseau.craft.wearer.measures import LevelName

_GAP_OF_BACK = 0.3  # of what goes round her back, so much may be gap before the front gives too
_EDGE_TO_MM = 0.01
_LEFT_DIFFERS_MM = 4.0  # less than this between left and right half is tape, not body


def suggest_edges(lap_mm: float | None, body: Body, kind: KindName = "underbust corset") -> tuple[EdgeLine, EdgeLine]:
    """Top line and hem that are usual for a kind on this body; `lap_mm` is how far the lap lies below the waist.

    The reason for each: over the bust the top lies a little above the bust's level in front and under the arm at the
    side; under it, just over the underbust. A hem in front stops 20 mm short of the lap, over the hip bone it is
    shorter than in front. A collar ends a finger under the jaw and above the collarbone.
    """
    if kind == "neck corset":
        return _collar_edges(body)
    top, hem = _top(body, kind), _hem(body, kind)
    front = hem[0] if lap_mm is None else min(hem[0], lap_mm - 20)
    return (
        EdgeLine(**dict(zip(("cf_mm", "side_mm", "cb_mm"), (round(max(z, 25)) for z in top), strict=True))),
        EdgeLine(
            **dict(zip(("cf_mm", "side_mm", "cb_mm"), (-round(max(z, 25)) for z in (front, *hem[1:])), strict=True))
        ),
    )


def _top(body: Body, kind: KindName) -> tuple[float, float, float]:
    under = body["underbust"]
    if kind == "cincher":
        return 0.62 * under.front_mm, 0.55 * under.side_mm, 0.62 * under.back_mm
    if "bust" not in body:
        return under.front_mm + 20, under.side_mm + 5, under.back_mm + 15
    bust = body["bust"]
    if kind == "foundation bodice":
        return bust.front_mm + 20, bust.side_mm + 15, bust.back_mm - 15
    return bust.front_mm + 30, bust.side_mm + 25, bust.back_mm


def _hem(body: Body, kind: KindName) -> tuple[float, float, float]:
    """How far the hem lies below the waist at CF, side and CB."""
    high, hip = body["high_hip"], body["hip"]
    if kind == "cincher":
        return -0.72 * high.front_mm, -0.55 * high.side_mm, -0.65 * high.back_mm
    if kind == "longline corset":
        return -0.95 * hip.front_mm, -0.82 * hip.side_mm, -0.85 * hip.back_mm
    if kind in ("boned bodice", "strapless bodice", "foundation bodice"):
        return -high.front_mm + 10, max(-high.side_mm - 20, 40), -high.back_mm - 5
    return max(min(170.0, -high.front_mm + 60), 40), max(-high.side_mm + 5, 40), max(-high.back_mm + 30, 40)


def _collar_edges(body: Body) -> tuple[EdgeLine, EdgeLine]:
    jaw, bone = body["upper_neck"], body["collarbone"]
    top = EdgeLine(
        cf_mm=round(max(jaw.front_mm - 12, 12)),
        side_mm=round(max(jaw.side_mm - 12, 12)),
        cb_mm=round(max(jaw.back_mm - 6, 12)),
    )
    hem = EdgeLine(
        cf_mm=round(min(bone.front_mm + 6, -12)),
        side_mm=round(min(0.6 * bone.side_mm, -12)),
        cb_mm=round(min(0.75 * bone.back_mm, -12)),
    )
    return top, hem


@lru_cache(maxsize=256)
def front_share_of_seams(front_panels: int, level: LevelName) -> Array:
    """Shares of the front block's intake by edge at a level, CF edge first (always 0), sum 1.

    Above the waist the seams under the bust take more, at the waist evenly but the side more, below it more
    toward the side; round the neck evenly.
    """
    t = np.arange(1, front_panels + 1) / front_panels  # seams; the last is the side seam
    above = 0.6 + 0.8 * np.exp(-(((t - 0.5) / 0.25) ** 2))
    waist = np.where(t == 1, 1.3, 1.0)
    below = 0.55 + 0.95 * t
    return _per_edge(_by_level(level, above, waist, below), side_last=True)


@lru_cache(maxsize=256)
def back_share_of_seams(back_panels: int, level: LevelName) -> Array:
    """Shares of the back block's intake by edge at a level, side edge first, CB edge last (always 0), sum 1.

    Above and at the waist evenly but the side more; below it the side back takes most.
    """
    t = np.arange(back_panels) / back_panels  # the first is the side seam
    above = np.where(t == 0, 1.1, 1.0)
    waist = np.where(t == 0, 1.3, 1.0)
    below = np.where(t == 0, 1.2, 1.5 - 0.8 * t)
    return _per_edge(_by_level(level, above, waist, below)[::-1], side_last=True)[::-1]


def _by_level(level: LevelName, above: Array, waist: Array, below: Array) -> Array:
    even = np.ones_like(above)
    kinds: dict[LevelName, Array] = {
        "upper_neck": even,
        "neck_base": even,
        "collarbone": even,
        "high_bust": above,
        "bust": above,
        "underbust": above,
        "ribs": (above + waist) / 2,
        "waist": waist,
    }
    return kinds.get(level, below)


def _per_edge(seam_weights: Array, side_last: bool) -> Array:
    """From weights of seams to shares of edges: an inner seam has two edges in the block, the side seam one."""
    edges = [0.0]
    for weight in seam_weights[:-1]:
        edges += [weight, weight]
    edges.append(seam_weights[-1])
    array = np.array(edges)
    array /= array.sum()
    array.setflags(write=False)  # it is kept
    return array


def base_fractions(count: int, toward_cf: bool) -> Array:
    """How a block's widest level is shared over its panels; those beside CF and CB lose one intake less."""
    weights = np.ones(count)
    if count > 1:
        weights[0 if toward_cf else -1] = 0.82
    return np.asarray(weights / weights.sum())


def front_halves(body: Body, girths_mm: Array, gap_mm: float) -> Array:
    """Width from CF to the side seam at every level: the front's share of what closed girth and gap go round.

    So the gap comes out of the back, up to a share of it; what is wider than that comes out of front and back alike, or
    the back panels would be slivers and the side seam would be all that still fits.
    """
    share = np.array([level.front_share for level in body])
    round_mm = girths_mm + gap_mm
    beyond = np.maximum(gap_mm - _GAP_OF_BACK * (1 - share) * round_mm, 0.0)
    return np.asarray(share * (round_mm - beyond) / 2)


def draft(
    body: Body,
    girths_mm: Array,
    gap_mm: float,
    panels: int,
    top: EdgeLine,
    hem: EdgeLine,
    allowances: Allowances,
    practice: Practice,
    edge_mm: float = 0.0,
) -> Pattern:
    """A half pattern with `panels` panels whose widths add up to half of `girths_mm` at every level of `body`.

    `girths_mm` (levels,) are sewn girths S, closed. Where the wearer's left half differs, it is drafted apart. The last
    panel is at least `edge_mm` wide where the others leave it so much: bones and holes of a lacing edge lie in it.
    Raises Unmakeable when a panel would be narrower than practice allows.
    """
    front_count = (panels + 1) // 2
    more = np.array([level.left_more_mm for level in body])
    uneven = bool((np.abs(more) >= _LEFT_DIFFERS_MM).any())
    right = _half(body, girths_mm - (more if uneven else 0), gap_mm, panels, front_count, practice, edge_mm)
    left = None
    if uneven:
        others = _half(body, girths_mm + more, gap_mm, panels, front_count, practice, edge_mm)
        left = LeftHalf(panels=others, top=top, hem=hem)
    return Pattern(
        stations=tuple(
            Station(name=level.name, front_mm=level.front_mm, side_mm=level.side_mm, back_mm=level.back_mm)
            for level in body
        ),
        panels=right,
        front_panels=front_count,
        top=top,
        hem=hem,
        left=left,
        allowances=allowances,
    ).fixed()


def _half(
    body: Body, girths_mm: Array, gap_mm: float, panels: int, front_count: int, practice: Practice, edge_mm: float
) -> tuple[Panel, ...]:
    """The panels of one half of a garment with these girths."""
    front = front_halves(body, girths_mm, gap_mm)
    back = girths_mm / 2 - front
    names = [level.name for level in body]
    blocks = []
    for halves, count, shares_of, is_front in (
        (front, front_count, front_share_of_seams, True),
        (back, panels - front_count, back_share_of_seams, False),
    ):
        shares = np.array([shares_of(count, name) for name in names])
        least = np.full(count, practice.least_panel_width_mm)
        fractions = base_fractions(count, is_front)
        at_edge = 0.0 if is_front or count == 1 else edge_mm
        blocks.append(_with_edge(halves, fractions, shares, least, at_edge))
    edges = np.concatenate(blocks, axis=1)
    return tuple(
        Panel(number=i + 1, cf_edge_mm=tuple(edges[:, 2 * i]), cb_edge_mm=tuple(edges[:, 2 * i + 1]))
        for i in range(panels)
    )


def _with_edge(halves: Array, fractions: Array, shares: Array, least: Array, edge_mm: float) -> Array:
    """A block whose last panel is nowhere narrower than what lies at its edge, or than the others leave it.

    What it lacks at its widest comes from the others alike. Raises Unmakeable where the least of all is too much.
    """

    def with_last(wide_mm: float) -> Array:
        share = min(max(float(fractions[-1]), wide_mm / float(halves.max())), 1.0)
        moved = np.append(fractions[:-1] / fractions[:-1].sum() * (1 - share), share)
        return _block(halves, moved, shares, np.append(least[:-1], wide_mm))

    low, high = float(least[-1]), max(edge_mm, float(least[-1]))
    try:
        return with_last(high)
    except Unmakeable:
        block = _block(halves, fractions, shares, least)
    while high - low > _EDGE_TO_MM:
        middle = (low + high) / 2
        try:
            block, low = with_last(middle), middle
        except Unmakeable:
            high = middle
    return block


def _block(halves: Array, fractions: Array, shares: Array, least: Array) -> Array:
    """Edges (levels, 2·panels) of one block, x from each panel's own upright; each panel `least` wide or more.

    Raises Unmakeable.
    """
    widest = float(halves.max())
    intakes = shares * (widest - halves)[:, None]
    base = fractions * widest
    for _ in range(40):
        narrow = base - intakes[:, 0::2] - intakes[:, 1::2] - least
        if (narrow >= -1e-9).all():
            break
        intakes = _reshare(intakes, shares, narrow)
    else:
        raise Unmakeable("draft.panels", "too_many_panels", least_mm=float(least.min()))
    left, right = intakes[:, 0::2], base - intakes[:, 1::2]
    return np.stack([left, right], axis=2).reshape(len(halves), -1)


def _reshare(intakes: Array, shares: Array, narrow: Array) -> Array:
    """Move intake from panels that became too narrow to the edges of those with width to spare."""
    array = intakes.copy()
    for level, panel in zip(*np.where(narrow < 0), strict=True):
        own = [2 * panel, 2 * panel + 1]
        give_back = -narrow[level, panel]
        held = array[level, own].sum()
        if held <= 0:
            continue
        moved = min(give_back, held)
        array[level, own] *= 1 - moved / held
        others = shares[level].copy()
        others[own] = 0
        others[np.repeat(narrow[level] <= 0, 2)] = 0
        if others.sum() > 0:
            array[level] += moved * others / others.sum()
        else:
            array[level, own] *= held / (held - moved) if held > moved else 1
    return array
