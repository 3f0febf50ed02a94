"""Rows of holes: counts, pitches and margins as they are wished, or the nearest that can be (model, section 9)."""

import math
from dataclasses import dataclass

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice

LEAST_MARGIN_MM = 5.0
_MEETS_MM = 0.5  # a count, a pitch and a margin that come out so nearly are met by the pitch


@dataclass(frozen=True)
class RowWishes:
    """What is wished of the rows of one edge: how many, how far apart, from top line and hem (mm). None follows."""

    count: int | None = None
    pitch_mm: float | None = None
    waist_pitch_mm: float | None = None
    top_margin_mm: float | None = None
    bottom_margin_mm: float | None = None


@dataclass(frozen=True)
class _Stretch:
    """From the first row outward to the edge of the garment: its length, its margin, and which field tells it."""

    to_edge_mm: float
    margin_mm: float | None
    usual_margin_mm: float
    field: str

    @property
    def last_mm(self) -> float:
        """How far out the last row lies, at its margin."""
        return self.to_edge_mm - (self.usual_margin_mm if self.margin_mm is None else self.margin_mm)

    @property
    def furthest_mm(self) -> float:
        """How far out it may lie at the most."""
        return self.last_mm if self.margin_mm is not None else self.to_edge_mm - LEAST_MARGIN_MM


def rows(
    top_mm: float,
    hem_mm: float,
    usual_pitch_mm: float,
    practice: Practice,
    wishes: RowWishes = RowWishes(),
    *,
    pull_loops: bool = True,
    least_pitch_mm: float = 0.0,
) -> tuple[float, ...]:
    """Heights of the holes of one edge, from the top down, mm; the other edge has the same.

    The pull-loop pair straddles the waist; without pull loops the rows lie evenly from end to end. A count, a pitch and
    each margin that is wished is met exactly; what is not wished follows: the usual pitch is bent until the last row
    lies at its margin. Raises Unmakeable, at the wish that can't be and with the nearest that can, and where the edge
    is too short, or holes would come nearer to each other than `least_pitch_mm`.
    """
    margin = practice.row_margin_mm
    if pull_loops:
        pair = practice.loop_pair_mm
        up = _Stretch(top_mm - pair, wishes.top_margin_mm, margin, "back.top_margin_mm")
        down = _Stretch(-hem_mm - pair, wishes.bottom_margin_mm, margin, "back.bottom_margin_mm")
        for one in (up, down):
            if one.last_mm < 0:
                wished = one.margin_mm is not None and one.to_edge_mm >= LEAST_MARGIN_MM
                at, code = (one.field, "rows.margin_past_waist") if wished else ("draft.top.cb_mm", "back_too_short")
                raise Unmakeable(at, code, most_mm=math.floor(max(one.to_edge_mm, 0)))
        upper, lower = _both(up, down, usual_pitch_mm, wishes, practice, least_pitch_mm)
        found = (*(pair + z for z in upper[::-1]), *(-pair - z for z in lower))
    else:
        found = _straight(top_mm, hem_mm, usual_pitch_mm, wishes, margin, least_pitch_mm)
    _apart(found, wishes, least_pitch_mm)
    return found


def _both(
    up: _Stretch, down: _Stretch, usual: float, wishes: RowWishes, practice: Practice, least_pitch_mm: float
) -> tuple[list[float], list[float]]:
    """Rows above and below the pair, as distances outward from it; the pair itself first in both."""
    near, most = wishes.waist_pitch_mm, practice.waist_rows_mm - practice.loop_pair_mm
    if wishes.count is None:
        sides = [_side(one, usual, wishes, practice) for one in (up, down)]
        return sides[0], sides[1]
    spaces = wishes.count - 2
    if spaces < 0:
        raise Unmakeable("back.rows", "rows.pair", rows=wishes.count)
    if wishes.pitch_mm is None:
        least = 0.0 if near is not None else least_pitch_mm
        splits = [
            (k, spaces - k)
            for k in range(spaces + 1)
            if all(_has_room(one, n, least) for one, n in ((up, k), (down, spaces - k)))
        ]

        def uneven(split: tuple[int, int]) -> tuple[bool, float]:
            return 0 in split, abs(_pitch(up, split[0]) - _pitch(down, split[1]))

        best = min(splits, key=uneven, default=None)
        if best is None:
            fit = 2 + sum(math.floor(one.last_mm / max(least_pitch_mm, 1)) for one in (up, down))
            raise Unmakeable("back.rows", "rows.too_many", rows=wishes.count, most=fit, apart_mm=least_pitch_mm)
        upper, lower = (_outward(one.last_mm, k, near, most) for one, k in zip((up, down), best, strict=True))
        return upper, lower
    pitch = wishes.pitch_mm
    splits = [
        (k, spaces - k) for k in range(spaces + 1) if _reaches(up, k, pitch) and _reaches(down, spaces - k, pitch)
    ]
    if not splits:
        fit = 2 + sum(math.floor(one.furthest_mm / pitch) for one in (up, down))
        raise _with_pitch(wishes, fit, (up.last_mm + down.last_mm) / max(spaces, 1))
    k, j = min(splits, key=lambda split: abs((up.to_edge_mm - pitch * split[0]) - (down.to_edge_mm - pitch * split[1])))
    return [pitch * i for i in range(k + 1)], [pitch * i for i in range(j + 1)]


def _with_pitch(wishes: RowWishes, fit: int, apart_mm: float) -> Unmakeable:
    """Why a count does not go with a pitch, and with margins where they are wished too."""
    assert wishes.count is not None
    assert wishes.pitch_mm is not None
    margins = wishes.top_margin_mm is not None or wishes.bottom_margin_mm is not None
    code = "rows.pitch_and_margins" if margins else "rows.and_pitch"
    given = {"rows": wishes.count, "pitch_mm": wishes.pitch_mm, "apart_mm": apart_mm}
    return Unmakeable("back.rows", code, **given, **({} if margins else {"fit": fit}))


def _has_room(stretch: _Stretch, spaces: int, least_mm: float) -> bool:
    if spaces == 0:
        return stretch.margin_mm is None or stretch.last_mm < _MEETS_MM
    return stretch.last_mm / spaces >= least_mm


def _pitch(stretch: _Stretch, spaces: int) -> float:
    return stretch.last_mm / spaces if spaces else stretch.to_edge_mm


def _reaches(stretch: _Stretch, spaces: int, pitch: float) -> bool:
    """Whether so many spaces of this pitch end at the margin that is wished, or within the edge."""
    if stretch.margin_mm is not None:
        return abs(stretch.last_mm - spaces * pitch) < _MEETS_MM
    return spaces * pitch <= stretch.furthest_mm


def _side(stretch: _Stretch, usual: float, wishes: RowWishes, practice: Practice, least: int = 0) -> list[float]:
    """One side of the pair by its pitch: the one wished exactly, the usual one bent to the margin."""
    near, most, pitch = wishes.waist_pitch_mm, practice.waist_rows_mm - practice.loop_pair_mm, wishes.pitch_mm
    if near is not None and near < (pitch or usual):
        close = _close(near, min(most, stretch.last_mm - (pitch or usual) / 2))
        # where too little is left for the last row to lie at its margin, one close row less
        while len(close) > 1 and _MEETS_MM < stretch.last_mm - close[-1] < near:
            close = close[:-1]
        rest = _Stretch(stretch.to_edge_mm - close[-1], stretch.margin_mm, stretch.usual_margin_mm, stretch.field)
        further = _side(rest, usual, RowWishes(pitch_mm=pitch), practice, 1 if rest.last_mm >= near else 0)
        return [*close, *(close[-1] + z for z in further[1:])]
    if pitch is None:
        least = 1 if stretch.margin_mm is not None and stretch.last_mm >= _MEETS_MM else least
        return _evenly(stretch.last_mm, max(least, round(stretch.last_mm / usual)))
    if stretch.margin_mm is None:
        count = max(0, min(round(stretch.last_mm / pitch), math.floor(stretch.furthest_mm / pitch)))
        return [pitch * i for i in range(count + 1)]
    spaces = stretch.last_mm / pitch
    if abs(spaces - round(spaces)) * pitch >= _MEETS_MM:
        fewer = max(1, math.floor(spaces))
        raise Unmakeable(
            "back.pitch_mm",
            "rows.pitch_and_margin",
            pitch_mm=pitch,
            margin_mm=stretch.margin_mm,
            wider_mm=stretch.last_mm / fewer,
            closer_mm=stretch.last_mm / (fewer + 1),
        )
    return _evenly(stretch.last_mm, round(spaces))


def _outward(last: float, spaces: int, near: float | None, most: float) -> list[float]:
    """So many spaces outward to the last row: close ones about the waist as far as that goes, the rest evenly."""
    if not spaces or near is None or near >= last / spaces:
        return _evenly(last, spaces)
    close = _close(near, min(most, last))[:spaces]
    rest = _evenly(last - close[-1], spaces - len(close) + 1)
    return [*close[:-1], *(close[-1] + z for z in rest)]


def _close(near: float, reach: float) -> list[float]:
    return [near * i for i in range(max(0, math.floor((reach + 1e-9) / near)) + 1)]


def _evenly(last: float, spaces: int) -> list[float]:
    """From 0 to the last in even spaces; only the first row where there are none."""
    return [last * i / spaces for i in range(spaces + 1)] if spaces > 0 else [0.0]


def _straight(
    top: float, hem: float, usual: float, wishes: RowWishes, usual_margin: float, least_pitch_mm: float
) -> tuple[float, ...]:
    """Rows from end to end, with no pair for loops."""
    usual_margin = min(usual_margin, (top - hem) / 6)
    high, low = (usual_margin if one is None else one for one in (wishes.top_margin_mm, wishes.bottom_margin_mm))
    room = top - hem - high - low
    if room < 0:
        most = math.floor(top - hem - (high if wishes.top_margin_mm is not None else 0))
        at = "back.bottom_margin_mm" if wishes.bottom_margin_mm is not None else "back.top_margin_mm"
        raise Unmakeable(at, "rows.margins_meet", most_mm=max(most, 0), edge_mm=top - hem)
    spaces = round(room / usual) if wishes.count is None else wishes.count - 1
    if wishes.count is not None and wishes.pitch_mm is None and spaces and room / spaces < least_pitch_mm:
        fit = 1 + math.floor(room / max(least_pitch_mm, 1))
        raise Unmakeable("back.rows", "rows.too_many", rows=wishes.count, most=fit, apart_mm=least_pitch_mm)
    pitch = wishes.pitch_mm
    if pitch is None:
        return tuple(top - high - z for z in _evenly(room, spaces))
    margins = wishes.top_margin_mm, wishes.bottom_margin_mm
    longest = top - hem - sum(LEAST_MARGIN_MM if margin is None else margin for margin in margins)
    if wishes.count is None:
        spaces = min(round(room / pitch), math.floor(longest / pitch))
    left = room - spaces * pitch
    both = None not in margins
    if spaces * pitch > longest + 1e-9 or (both and abs(left) >= _MEETS_MM):
        fit = 1 + math.floor(longest / pitch)
        apart = room / max(spaces, 1)
        if wishes.count is not None:
            raise _with_pitch(wishes, fit, apart)
        fewer = max(1, math.floor(room / pitch))
        raise Unmakeable(
            "back.pitch_mm",
            "rows.pitch_and_margin",
            pitch_mm=pitch,
            margin_mm=high,
            wider_mm=room / fewer,
            closer_mm=room / (fewer + 1),
        )
    if wishes.top_margin_mm is not None:
        start = top - high
    elif wishes.bottom_margin_mm is not None:
        start = hem + low + spaces * pitch
    else:
        start = (top + hem) / 2 + spaces * pitch / 2
    return tuple(start - pitch * i for i in range(spaces + 1))


def _apart(heights: tuple[float, ...], wishes: RowWishes, least_pitch_mm: float) -> None:
    """Raises Unmakeable for holes nearer to each other than their flanges allow."""
    pitch = min((a - b for a, b in zip(heights, heights[1:], strict=False)), default=math.inf)
    if pitch >= least_pitch_mm - 1e-6:
        return
    wished = (
        ("rows", wishes.count),
        ("pitch_mm", wishes.pitch_mm),
        ("top_margin_mm", wishes.top_margin_mm),
        ("bottom_margin_mm", wishes.bottom_margin_mm),
    )
    field = next((name for name, value in wished if value is not None), "holes")
    if wishes.waist_pitch_mm is not None and abs(pitch - wishes.waist_pitch_mm) < 0.01:
        field = "waist_pitch_mm"
    raise Unmakeable(f"back.{field}", "rows.too_close", pitch_mm=pitch, least_mm=least_pitch_mm)
