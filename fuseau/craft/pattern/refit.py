"""Refit: an earlier pattern of one's own for another body (handbook 3.3, "reworked"; model, sections 4 and 5)."""

import numpy as np

from fuseau.craft.base.curves import Array, calm_basis
from fuseau.craft.pattern.alterations import Alteration, alter, let_girths
from fuseau.craft.pattern.drafting import back_share_of_seams, front_halves, front_share_of_seams
from fuseau.craft.pattern.pattern import Bump, EdgeLine, Panel, Pattern, Station
from fuseau.craft.wearer.body import Body

_LEAST_MARK_MM = 1.5


def change_girths(pattern: Pattern, body: Body, girths_mm: Array, gap_mm: float) -> Alteration:
    """The alteration that gives a pattern these sewn girths at the body's levels, by the draft's shares.

    A small change is gathered on the seams nearest the side, since nobody takes in a third of a millimetre.
    `girths_mm` (levels,). Between the levels the change runs smoothly, so stations that were traced keep their shape.
    """
    shape = pattern.shape
    heights = np.array([level.side_mm for level in body])
    front = meant_front(pattern, body, girths_mm, gap_mm)
    was_front = shape.front_half(heights)
    was_back = shape.sewn_girth(heights) / 2 - was_front
    count, in_front = len(pattern.panels), pattern.front_panels
    front_shares = np.array([front_share_of_seams(in_front, level.name) for level in body])
    back_shares = np.array([back_share_of_seams(count - in_front, level.name) for level in body])
    changes = np.column_stack([front - was_front, girths_mm / 2 - front - was_back])
    nominal = shape.nominal
    if len(nominal) == len(heights) and np.allclose(nominal, heights):
        at_stations = np.eye(len(heights))
    else:
        inside = np.clip(nominal, heights[0], heights[-1])
        at_stations = calm_basis(heights, changes).at(inside)
        linear = np.array([np.interp(inside, heights, row) for row in np.eye(len(heights))]).T
        front_shares, back_shares = linear @ front_shares, linear @ back_shares
    front_shares = gathered(front_shares, float(np.max(np.abs(changes[:, 0]))), side=-1)
    back_shares = gathered(back_shares, float(np.max(np.abs(changes[:, 1]))), side=0)
    changes = at_stations @ changes
    return let_girths(pattern, changes[:, 0], changes[:, 1], (front_shares, back_shares))


def meant_front(pattern: Pattern, body: Body, girths_mm: Array, gap_mm: float) -> Array:
    """Front halves (levels,) of sewn girths: the body's share, but for slack taken out and decisions where they lie."""
    off = {offset.level: offset for offset in pattern.offsets}
    whole = np.array([off[level.name].whole_mm if level.name in off else 0.0 for level in body])
    front = np.array([off[level.name].front_mm if level.name in off else 0.0 for level in body])
    return np.asarray(front_halves(body, girths_mm - whole, gap_mm) + front / 2)


def gathered(shares: Array, most_mm: float, side: int) -> Array:
    """Shares (stations, edges) of a block, kept to so many seams that each edge gets what scissors can hold.

    The side seam's one edge comes first (`side` 0 or −1), then the two of each seam next to it.
    """
    count = shares.shape[1]
    inward = list(range(count)) if side == 0 else list(range(count))[::-1]
    kept, rest = inward[:1], inward[1:-1]  # CF's or CB's own edge never moves
    for pair in (rest[i : i + 2] for i in range(0, len(rest), 2)):
        if most_mm / (len(kept) + len(pair)) < _LEAST_MARK_MM:
            break
        kept += pair
    mask = np.zeros(count)
    mask[kept] = 1
    found = shares * mask
    return np.asarray(found / found.sum(axis=1, keepdims=True))


def refit(pattern: Pattern, old: Body, new: Body, change_mm: Array, gap_mm: float) -> Pattern:
    """A pattern that fitted `old`, for `new`: levels move to where hers are, sewn girths change by `change_mm`.

    `change_mm` (levels of `new`) is what the garment's aim changes by from one body to the other. Top line and hem
    move with the levels. To the same body, with nothing to change, it is the same pattern.
    """
    moved = pattern.model_copy(
        update={
            "stations": tuple(_moved(station, old, new) for station in pattern.stations),
            "panels": _with_places_moved(pattern.panels, old, new),
            "top": _line(pattern.top, old, new),
            "hem": _line(pattern.hem, old, new),
            "left": pattern.left
            and pattern.left.model_copy(
                update={
                    "panels": _with_places_moved(pattern.left.panels, old, new),
                    "top": _line(pattern.left.top, old, new),
                    "hem": _line(pattern.left.hem, old, new),
                }
            ),
        }
    )
    girths = moved.shape.sewn_girth(np.array([level.side_mm for level in new])) + change_mm
    if np.max(np.abs(change_mm)) < 1e-6 and old == new:
        return moved
    return alter(moved, change_girths(moved, new, girths, gap_mm))


def _to(z: float, old: Body, new: Body, side: str) -> float:
    """A height on the old body carried to the new one: evenly between the levels, beyond them by the same way."""
    shared = [level.name for level in new if level.name in old]
    was = np.array([getattr(old[name], side) for name in shared])
    now = np.array([getattr(new[name], side) for name in shared])
    inside = float(np.clip(z, was[0], was[-1]))
    return float(np.interp(inside, was, now)) + (z - inside)


def _moved(station: Station, old: Body, new: Body) -> Station:
    return station.model_copy(
        update={side: _to(getattr(station, side), old, new, side) for side in ("front_mm", "side_mm", "back_mm")}
    )


def _with_places_moved(panels: tuple[Panel, ...], old: Body, new: Body) -> tuple[Panel, ...]:
    """What was changed at places goes along with the levels about it."""

    def moved(bump: Bump) -> Bump:
        heights = {name: getattr(bump, name) for name in ("low_mm", "peak_mm", "high_mm")}
        return bump.model_copy(
            update={name: None if z is None else _to(z, old, new, "side_mm") for name, z in heights.items()}
        )

    return tuple(
        panel.model_copy(update={side: tuple(map(moved, getattr(panel, side))) for side in ("cf_bumps", "cb_bumps")})
        for panel in panels
    )


def _line(line: EdgeLine, old: Body, new: Body) -> EdgeLine:
    return line.model_copy(
        update={
            "cf_mm": _to(line.cf_mm, old, new, "front_mm"),
            "side_mm": _to(line.side_mm, old, new, "side_mm"),
            "cb_mm": _to(line.cb_mm, old, new, "back_mm"),
            "points": tuple(
                point.model_copy(
                    update={
                        "z_mm": _to(
                            point.z_mm,
                            old,
                            new,
                            "front_mm" if point.place < 0.5 else "back_mm" if point.place > 1.5 else "side_mm",
                        )
                    }
                )
                for point in line.points
            ),
        }
    )
