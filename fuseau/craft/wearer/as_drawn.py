"""How near her proportions come to a drawn figure's, by squeezing and by padding (model, section 17)."""

import math
from collections.abc import Sequence
from typing import Literal, NamedTuple

import numpy as np

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.wearer.silhouette import half_width, laced_ratio, off_front, seen_width

MOST_PADDING_MM = 60.0  # on each side: more no longer moves with her
MOST_SHOULDER_MM = 25.0  # past the end of her shoulder nothing carries more
MOST_TURN_DEG = 60.0
_WORTH_MM = 3.0  # of padding: less is not worth making
_STEP = 0.0025  # of reduction
_MOST_SHARE = 0.35
_COST = 1e-5  # of likeness², where it is squeezed by 8 % or padded by 20 mm on each side: it chooses what is as near
_SQUEEZED, _PADDED_MM = 0.08, 20.0
_SCALES = 160
_SURE = 0.02  # of a width: nearer than this a tape and an ellipse do not tell it either
_NEAR = 0.003  # of likeness: nearer than this to the best is as good

Way = Literal["no squeeze", "within the limits", "as drawn"]


class Across(Record):
    """A level of hers and as it is drawn: girth, width to depth, share that it gives; width on the picture, any unit.

    `spread` is that of the drawn width, as a share of it. `most_padding_mm`: as much as can be worn there on each
    side; a laced waist is not padded.
    """

    name: str
    girth_mm: float
    width_to_depth: float
    give: float
    drawn: float
    spread: float = 0.0
    most_padding_mm: float = MOST_PADDING_MM


class WayDrawn(Record):
    """A way to come near the drawing: the waist's reduction as a share, padding on each side by level, and how near.

    `likeness_percent` is the root mean square of the logarithms of the widths, drawn over worn, in %, those that are
    marked surely counting for more; `wanted_mm` the drawn widths at her scale. `spread_share` is how far the reduction
    moves with the spread of the drawn waist.
    """

    way: Way
    reduction_share: float
    spread_share: float = 0.0
    padding_mm: dict[str, float]
    likeness_percent: float
    widths_mm: dict[str, float]
    wanted_mm: dict[str, float]


class AsDrawn(Record):
    """Three ways, and how near squeezing alone and with padding comes: reduction as a share, % without, % with.

    `drawn_share` is the drawn waist over the widest other level, with its spread; `hers_share` hers as she is.
    """

    ways: tuple[WayDrawn, ...]
    curve: tuple[tuple[float, float, float], ...]
    flat_from_share: float
    drawn_share: float
    drawn_spread: float
    hers_share: float
    stays: str | None


def as_drawn(
    levels: Sequence[Across], *, turn_deg: float, limit_share: float, stays: str | None = None, at: str = "picture"
) -> AsDrawn:
    """Three ways to come near a figure that is drawn turned by so much.

    `levels` hold the waist among them. `stays` is the level whose width sets the picture's scale; None fits it on all.
    Raises Unmakeable at `at` where there is no waist or nothing beside it, or it is turned too far to tell widths.
    """
    names = [level.name for level in levels]
    if "waist" not in names or len(levels) < 2:
        raise Unmakeable(at, "drawn.too_few")
    if off_front(turn_deg) > MOST_TURN_DEG:
        raise Unmakeable(at, "drawn.turned", most=MOST_TURN_DEG)
    problem = _Problem(levels, turn_deg, stays if stays in names and stays != "waist" else None)
    shares = np.arange(0.0, _MOST_SHARE + _STEP / 2, _STEP)
    padded = [problem.best(share, padded=True) for share in shares]
    with_padding = np.array([one.likeness for one in padded])
    without = np.array([problem.best(share, padded=False).likeness for share in shares])
    squeezed = _COST * (shares / _SQUEEZED) ** 2
    cost = with_padding**2 + squeezed + np.array([_cost(one.padding_mm) for one in padded])
    within = shares <= limit_share + 1e-9
    best_within = shares[within][int(np.argmin(cost[within]))]
    drawn = shares[int(np.argmin(without**2 + squeezed))]
    spread = problem.moved(shares, squeezed)
    flat = shares[int(np.argmax(with_padding <= with_padding.min() + _NEAR))]
    waist = names.index("waist")
    others = [level for i, level in enumerate(levels) if i != waist]
    widest = max(others, key=lambda other: other.drawn)
    return AsDrawn(
        ways=(
            problem.way("no squeeze", 0.0, padded=True),
            problem.way("within the limits", float(best_within), padded=True),
            problem.way("as drawn", float(drawn), padded=False).model_copy(update={"spread_share": spread}),
        ),
        curve=tuple(
            (float(share), 100 * float(a), 100 * float(b))
            for share, a, b in zip(shares, without, with_padding, strict=True)
        ),
        flat_from_share=float(flat),
        drawn_share=levels[waist].drawn / widest.drawn,
        drawn_spread=levels[waist].drawn / widest.drawn * math.hypot(levels[waist].spread, widest.spread),
        hers_share=float(problem.widths(0.0)[waist] / problem.widths(0.0)[names.index(widest.name)]),
        stays=problem.stays_name,
    )


def _cost(padding_mm: Array) -> float:
    return _COST * float(np.sum((padding_mm / _PADDED_MM) ** 2))


class _Best(NamedTuple):
    """How near it comes, the padding on each side, the widths that gives, and those that are drawn, at her scale."""

    likeness: float
    padding_mm: Array
    widths_mm: Array
    wanted_mm: Array


class _Problem:
    """The widths of her levels at a reduction, against the drawn ones at some scale."""

    def __init__(self, levels: Sequence[Across], turn_deg: float, stays: str | None) -> None:
        self.levels = levels
        self.names = [level.name for level in levels]
        self.turn = turn_deg
        self.stays_name = stays
        self.stays = None if stays is None else self.names.index(stays)
        self.waist = self.names.index("waist")
        self.drawn = np.array([level.drawn for level in levels], float)
        self.girth = np.array([level.girth_mm for level in levels], float)
        self.ratio = np.array([level.width_to_depth for level in levels], float)
        self.can = np.array([i not in (self.waist, self.stays) for i in range(len(levels))])
        self.most = np.array([level.most_padding_mm for level in levels])
        weights = np.array([1 / (level.spread**2 + _SURE**2) for level in levels])
        self.weights = weights / weights.sum()

    def widths(self, share: float) -> Array:
        """Her widths as they are seen, with the waist reduced by a share of its girth, mm."""
        girth, ratio = self.girth.copy(), self.ratio.copy()
        give = max(self.levels[self.waist].give, 1e-6)
        girth[self.waist] *= 1 - share
        ratio[self.waist] = float(laced_ratio(self.ratio[self.waist], share / give))
        return np.asarray(seen_width(half_width(girth, ratio), ratio, self.turn))

    def best(self, share: float, *, padded: bool, drawn: Array | None = None) -> "_Best":
        """The nearest at a reduction; to other `drawn` widths where they are given."""
        drawn = self.drawn if drawn is None else drawn
        widths = self.widths(share)
        logs = np.log(widths / drawn)
        if self.stays is not None:
            scales = np.array([widths[self.stays] / drawn[self.stays]])
        elif not padded:
            scales = np.array([float(np.exp(self.weights @ logs))])
        else:  # padding only widens: the scale lies between those that the narrowest and the widest level ask for
            scales = np.exp(np.linspace(logs.min(), logs.max() + 0.3, _SCALES))
        wanted = scales[:, None] * drawn
        padding = np.zeros_like(wanted)
        if padded:
            padding = np.where(self.can, np.clip((wanted - widths) / 2, 0.0, self.most), 0.0)
            padding = np.where(padding >= _WORTH_MM, padding, 0.0)
        worn = widths + 2 * padding
        likeness = np.sqrt(np.log(worn / wanted) ** 2 @ self.weights)
        best = int(np.argmin(likeness**2 + _COST * np.sum((padding / _PADDED_MM) ** 2, axis=1)))
        return _Best(float(likeness[best]), padding[best], worn[best], wanted[best])

    def moved(self, shares: Array, squeezed: Array) -> float:
        """How far the reduction that is as drawn moves with the spread of the drawn waist against the others, ±1 σ."""
        waist, others = self.waist, [i for i in range(len(self.levels)) if i != self.waist]
        spreads = np.array([level.spread for level in self.levels])
        weights = self.weights[others] / self.weights[others].sum()
        off = math.hypot(spreads[waist], math.sqrt(float(weights**2 @ spreads[others] ** 2)))
        if not off:
            return 0.0
        found = []
        for sign in (-1.0, 1.0):
            drawn = self.drawn.copy()
            drawn[waist] *= math.exp(sign * off)
            near = np.array([self.best(share, padded=False, drawn=drawn).likeness for share in shares])
            found.append(float(shares[int(np.argmin(near**2 + squeezed))]))
        return abs(found[0] - found[1]) / 2

    def way(self, name: Way, share: float, *, padded: bool) -> WayDrawn:
        """A way told."""
        likeness, padding, worn, wanted = self.best(share, padded=padded)
        return WayDrawn(
            way=name,
            reduction_share=share,
            padding_mm={level: float(mm) for level, mm in zip(self.names, padding, strict=True) if mm > 0},
            likeness_percent=100 * likeness if math.isfinite(likeness) else 999.0,
            widths_mm={level: float(mm) for level, mm in zip(self.names, worn, strict=True)},
            wanted_mm={level: float(mm) for level, mm in zip(self.names, wanted, strict=True)},
        )
