"""Drafting flat: from the girths to sew, a half pattern of panels (model, section 4).

Front and back block each have a reference half-girth R, their widest level, split into base fractions; every
panel edge takes an intake off its upright, and a block's intakes add up to R − H(z).
"""

import numpy as np

from fuseau.craft.curves import Array
from fuseau.craft.pattern import Allowances, EdgeLine, Panel, Pattern, Station
from fuseau.craft.practice import Practice
from fuseau.craft.record import Unmakeable
from fuseau.craft.wearer import Body, LevelName, Wearer


def suggest_edges(wearer: Wearer, body: Body) -> tuple[EdgeLine, EdgeLine]:
    """A top line just over the underbust, and a hem that clears the lap when sitting.

    The reason for each: the top rises a little at CF and drops under the arm; the hem is shorter over the hip
    bone than in front, and in front stops 20 mm short of the lap.
    """
    under, hip = body["underbust"], body["high_hip"]
    top = EdgeLine(cf_mm=round(under.front_mm + 20), side_mm=round(under.side_mm + 5), cb_mm=round(under.back_mm + 15))
    lap = wearer.waist_to_lap_sitting_mm
    front = min(170.0, -hip.front_mm + 60)
    if lap is not None:
        front = min(front, lap - 20)
    hem = EdgeLine(
        cf_mm=-round(max(front, 40)),
        side_mm=-round(max(-hip.side_mm + 5, 40)),
        cb_mm=-round(max(-hip.back_mm + 30, 40)),
    )
    return top, hem


def front_share_of_seams(front_panels: int, level: LevelName) -> Array:
    """Shares of the front block's intake by edge at a level, CF edge first (always 0), sum 1.

    Above the waist the seams under the bust take more, at the waist evenly but the side more, below it more
    toward the side.
    """
    t = np.arange(1, front_panels + 1) / front_panels  # seams; the last is the side seam
    above = 0.6 + 0.8 * np.exp(-(((t - 0.5) / 0.25) ** 2))
    waist = np.where(t == 1, 1.3, 1.0)
    below = 0.55 + 0.95 * t
    return _per_edge(_by_level(level, above, waist, below), side_last=True)


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
    kinds: dict[LevelName, Array] = {"underbust": above, "ribs": (above + waist) / 2, "waist": waist}
    return kinds.get(level, below)


def _per_edge(seam_weights: Array, side_last: bool) -> Array:
    """From weights of seams to shares of edges: an inner seam has two edges in the block, the side seam one."""
    edges = [0.0]
    for weight in seam_weights[:-1]:
        edges += [weight, weight]
    edges.append(seam_weights[-1])
    found = np.array(edges)
    return np.asarray(found / found.sum())


def base_fractions(count: int, toward_cf: bool) -> Array:
    """How a block's widest level is shared over its panels; those beside CF and CB lose one intake less."""
    weights = np.ones(count)
    if count > 1:
        weights[0 if toward_cf else -1] = 0.82
    return np.asarray(weights / weights.sum())


def front_halves(body: Body, girths_mm: Array, gap_mm: float) -> Array:
    """Width from CF to the side seam at every level: the front's share of what closed girth and gap go round."""
    share = np.array([level.front_share for level in body])
    return np.asarray(share * (girths_mm + gap_mm) / 2)


def draft(
    body: Body,
    girths_mm: Array,
    gap_mm: float,
    panels: int,
    top: EdgeLine,
    hem: EdgeLine,
    allowances: Allowances,
    practice: Practice,
) -> Pattern:
    """A half pattern with `panels` panels whose widths add up to half of `girths_mm` at every level of `body`.

    `girths_mm` (levels,) are sewn girths S, closed. Raises Unmakeable when a panel would be narrower than
    practice allows.
    """
    front_count = (panels + 1) // 2
    front = front_halves(body, girths_mm, gap_mm)
    back = girths_mm / 2 - front
    names = [level.name for level in body]
    blocks = []
    for halves, count, shares_of, is_front in (
        (front, front_count, front_share_of_seams, True),
        (back, panels - front_count, back_share_of_seams, False),
    ):
        shares = np.array([shares_of(count, name) for name in names])
        blocks.append(_block(halves, base_fractions(count, is_front), shares, practice.least_panel_width_mm))
    edges = np.concatenate(blocks, axis=1)
    return Pattern(
        stations=tuple(
            Station(name=level.name, front_mm=level.front_mm, side_mm=level.side_mm, back_mm=level.back_mm)
            for level in body
        ),
        panels=tuple(
            Panel(number=i + 1, cf_edge_mm=tuple(edges[:, 2 * i]), cb_edge_mm=tuple(edges[:, 2 * i + 1]))
            for i in range(panels)
        ),
        front_panels=front_count,
        top=top,
        hem=hem,
        allowances=allowances,
    )


def _block(halves: Array, fractions: Array, shares: Array, least: float) -> Array:
    """Edges (levels, 2·panels) of one block, x from each panel's own upright."""
    widest = float(halves.max())
    intakes = shares * (widest - halves)[:, None]
    base = fractions * widest
    for _ in range(40):
        narrow = base - intakes[:, 0::2] - intakes[:, 1::2] - least
        if (narrow >= -1e-9).all():
            break
        intakes = _reshare(intakes, shares, narrow)
    else:
        raise Unmakeable(
            "draft.panels",
            f"With so many panels one would be narrower than {least:g} mm: use fewer panels.",
        )
    left, right = intakes[:, 0::2], base - intakes[:, 1::2]
    return np.stack([left, right], axis=2).reshape(len(halves), -1)


def _reshare(intakes: Array, shares: Array, narrow: Array) -> Array:
    """Move intake from panels that became too narrow to the edges of those with width to spare."""
    found = intakes.copy()
    for level, panel in zip(*np.where(narrow < 0), strict=True):
        own = [2 * panel, 2 * panel + 1]
        give_back = -narrow[level, panel]
        held = found[level, own].sum()
        if held <= 0:
            continue
        moved = min(give_back, held)
        found[level, own] *= 1 - moved / held
        others = shares[level].copy()
        others[own] = 0
        others[np.repeat(narrow[level] <= 0, 2)] = 0
        if others.sum() > 0:
            found[level] += moved * others / others.sum()
        else:
            found[level, own] *= held / (held - moved) if held > moved else 1
    return found
