"""Her figure as rings by height: half ellipses in front and behind, each as long as its arc (model, section 17)."""

import math
from dataclasses import dataclass
from functools import cached_property
from typing import Self

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.wearer.silhouette import half_width

_FLATTEST = 0.25  # of the half width: no front or back is flatter
_ARC_POINTS = 25
_SECANTS, _SAME = 7, 1e-9
_QUARTER = np.linspace(0.0, math.pi / 2, _ARC_POINTS)


def quarter_length(half: Array, deep: Array) -> Array:
    """The length of a quarter of an ellipse, by Ramanujan's second formula: exact to 1 in 10 000 here.

    >>> round(float(quarter_length(np.array(1.0), np.array(1.0))), 6)
    1.570796
    """
    h = np.square((half - deep) / (half + deep))
    return np.asarray(math.pi / 4 * (half + deep) * (1 + 3 * h / (10 + np.sqrt(4 - 3 * h))))


def deep_for(half: Array, length: Array) -> Array:
    """How deep a quarter of an ellipse of half width `half` is that has this length; never flatter than a quarter."""
    least = _FLATTEST * half
    before, here = least, half
    off_before, off = quarter_length(half, before) - length, quarter_length(half, here) - length
    for _ in range(_SECANTS):  # the length grows nearly evenly with the depth
        slope = (off - off_before) / np.where(np.abs(here - before) < _SAME, np.inf, here - before)
        step = np.where(slope > 0, off / np.where(slope > 0, slope, 1.0), 0.0)
        before, off_before = here, off
        here = np.maximum(here - step, least)
        off = quarter_length(half, here) - length
    return np.asarray(here)


@dataclass(frozen=True, eq=False)
class Rings:
    """Rings at even heights, rising, (n,) mm: half width, and how deep the front and the back half are."""

    heights: Array
    half_mm: Array
    front_mm: Array
    back_mm: Array

    @classmethod
    def of(cls, heights: Array, girth: Array, ratio: Array, front_share: Array) -> Self:
        """Rings of a girth, width to depth and share in front. The half width is as `silhouette.half_width` has it."""
        half = np.asarray(half_width(girth, ratio))
        return cls(
            heights,
            half,
            deep_for(half, front_share * girth / 2),
            deep_for(half, (1 - front_share) * girth / 2),
        )

    @cached_property
    def runs(self) -> tuple[Array, Array]:
        """From CF to the side and from the side to CB along the ring, (n,) mm each."""
        return quarter_length(self.half_mm, self.front_mm), quarter_length(self.half_mm, self.back_mm)

    def at(self, heights: Array) -> "Rings":
        """The rings at other heights."""
        return Rings(
            heights, *(np.interp(heights, self.heights, one) for one in (self.half_mm, self.front_mm, self.back_mm))
        )

    def place(self, run: Array) -> Array:
        """Where a length from CF lies on each ring, (n,): 0 CF, 1 side, 2 CB, past it on the other half."""
        front, back = self.runs
        whole = front + back
        past = run > whole
        run = np.where(past, 2 * whole - run, run)
        ahead = run <= front
        deep = np.where(ahead, self.front_mm, self.back_mm)
        share = _share_along(self.half_mm, deep, np.where(ahead, run / front, (whole - run) / back))
        found = np.where(ahead, share, 2 - share)
        return np.where(past, 4 - found, found)

    def run(self, place: Array) -> Array:
        """How long it is from CF to places round each ring, (n,) mm; the inverse of `place` up to CB."""
        angle = np.where(place <= 1, place, 2 - place)[:, None] * np.linspace(0.0, math.pi / 2, 4 * _ARC_POINTS)
        deep = np.where(place <= 1, self.front_mm, self.back_mm)[:, None]
        steps = np.hypot(np.diff(self.half_mm[:, None] * np.sin(angle)), np.diff(deep * np.cos(angle)))
        front, back = self.runs
        return np.where(place <= 1, steps.sum(axis=1), front + back - steps.sum(axis=1))

    def point(self, place: Array) -> tuple[Array, Array]:
        """Across and ahead of each ring at places round it, (n,) mm: positive to her right, and to the front."""
        side = np.where(place > 2, -1.0, 1.0)
        place = np.where(place > 2, 4 - place, place)
        angle = place * math.pi / 2
        deep = np.where(place <= 1, self.front_mm, self.back_mm)
        return side * self.half_mm * np.sin(angle), deep * np.cos(angle)


def _share_along(half: Array, deep: Array, share: Array) -> Array:
    """Where a share of a quarter's length from its middle (front or back) lies, as a share of the right angle."""
    mids = (_QUARTER[1:] + _QUARTER[:-1]) / 2
    steps = np.sqrt(np.square(half[:, None] * np.cos(mids)) + np.square(deep[:, None] * np.sin(mids)))
    runs = np.concatenate([np.zeros((len(half), 1)), np.cumsum(steps, axis=1)], axis=1)
    wanted = np.clip(share, 0.0, 1.0) * runs[:, -1]
    i = np.clip((runs[:, 1:-1] <= wanted[:, None]).sum(axis=1), 0, _ARC_POINTS - 2)
    rows = np.arange(len(half))
    within = (wanted - runs[rows, i]) / np.maximum(runs[rows, i + 1] - runs[rows, i], 1e-12)
    return np.asarray((i + np.clip(within, 0.0, 1.0)) / (_ARC_POINTS - 1))
