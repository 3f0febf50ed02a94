"""Panels cut as one piece: laid edge to edge, with a dart where their edges part (model, section 4)."""

from dataclasses import dataclass

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.trueing import LaidPanel, Point

_CLOSED_MM = 1.5  # edges this near to each other are one cloth, eased
_LEAST_HELD_MM = 10.0


@dataclass(frozen=True)
class Joined:
    """Panels that are one piece of cloth: the piece as a panel, and where each panel lies in it (x, mm)."""

    panel: LaidPanel
    numbers: tuple[int, ...]
    offsets: tuple[float, ...]


def join_panels(panels: tuple[LaidPanel, ...], joined: tuple[int, ...]) -> tuple[Joined, ...]:
    """The pieces of cloth of a half, CF to CB. Raises Unmakeable at `joined` where edges touch nowhere."""
    groups: list[list[LaidPanel]] = []
    for panel in panels:
        if groups and panel.number - 1 in joined:
            groups[-1].append(panel)
        else:
            groups.append([panel])
    return tuple(_one_piece(group) for group in groups)


def _one_piece(group: list[LaidPanel]) -> Joined:
    offsets = [0.0]
    darts: list[tuple[Point, ...]] = list(group[0].darts)
    slashes: list[tuple[Point, ...]] = list(group[0].slashes)
    for before, after in zip(group, group[1:], strict=False):
        z, gap = _gap(before, after)
        closest = float(gap.min())
        held = float((gap - closest < _CLOSED_MM).mean() * (z[-1] - z[0]))
        if held < _LEAST_HELD_MM:
            raise Unmakeable(
                "joined",
                "cannot_join",
                seam=seam_label(before.number),
                held_mm=held,
                least_mm=_LEAST_HELD_MM,
            )
        offsets.append(offsets[-1] - closest)
        darts += [tuple((x + offsets[-1], y) for x, y in dart) for dart in after.darts]
        slashes += [tuple((x + offsets[-1], y) for x, y in slash) for slash in after.slashes]
        darts += _opened(before, z, gap - closest, offsets[-2])
    moved = [[(x + dx, y) for x, y in panel.outline] for panel, dx in zip(group, offsets, strict=True)]
    first, last = group[0], group[-1]

    def shift(points: tuple[Point, ...], dx: float) -> tuple[Point, ...]:
        return tuple((x + dx, y) for x, y in points)

    cb_edge = shift(last.cb_edge, offsets[-1])
    top = tuple(point for panel, dx in zip(group, offsets, strict=True) for point in shift(panel.top, dx))
    hem = tuple(point for panel, dx in zip(group, offsets, strict=True) for point in shift(panel.hem, dx))
    outline = (*first.cf_edge, *top[1:-1], *cb_edge[::-1], *hem[::-1][1:-1]) if len(moved) > 1 else first.outline
    piece = first.model_copy(
        update={
            "outline": tuple(outline),
            "cb_edge": cb_edge,
            "top": top,
            "hem": hem,
            "waist": (first.waist[0], (last.waist[1][0] + offsets[-1], 0.0)),
            "cb_notches": last.cb_notches,
            "darts": tuple(darts),
            "slashes": tuple(slashes),
        }
    )
    return Joined(piece, tuple(panel.number for panel in group), tuple(offsets))


def _gap(before: LaidPanel, after: LaidPanel) -> tuple[Array, Array]:
    """Heights, and how far apart the facing edges of two panels lie there in their own frames, mm."""
    left, right = np.array(before.cb_edge), np.array(after.cf_edge)
    low, high = max(left[0, 1], right[0, 1]), min(left[-1, 1], right[-1, 1])
    z = np.linspace(low, high, 81)
    return z, np.interp(z, right[:, 1], right[:, 0]) - np.interp(z, left[:, 1], left[:, 0])


def _opened(before: LaidPanel, z: Array, gap: Array, dx: float) -> list[tuple[Point, ...]]:
    """The darts between two panels: closed outlines of each stretch where their edges part."""
    left = np.array(before.cb_edge)
    x = np.interp(z, left[:, 1], left[:, 0]) + dx
    open_at = gap > _CLOSED_MM / 3
    found = []
    starts = np.flatnonzero(np.diff(np.concatenate([[0], open_at.astype(int), [0]])))
    for first, last in zip(starts[::2], starts[1::2], strict=True):
        low, high = max(first - 1, 0), min(last + 1, len(z))
        legs = [(float(a), float(b)) for a, b in zip(x[low:high], z[low:high], strict=True)]
        other = [(float(a + g), float(b)) for a, g, b in zip(x[low:high], gap[low:high], z[low:high], strict=True)]
        found.append((*legs, *other[::-1]))
    return found
