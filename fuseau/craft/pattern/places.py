"""Changes at a place: along one seam from where they begin through their peak to where they end (model, section 5).

What was pinched out of a seam, slashed open, or seen to stand off at one place changes the pattern there and nowhere
else. It bears no tension, so that no gap follows from it.
"""

from collections.abc import Iterable, Sequence
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.pattern import Bump, Height, LeftHalf, Panel, Pattern
from fuseau.craft.pattern.split_join import add_bump

Half = Literal["both", "right", "left"]
Seen = Literal["pinned", "slashed", "stood off", "by hand"]
MOST_MM = 80.0
PlaceAmount = Annotated[float, Length("an alteration", -MOST_MM, MOST_MM)]
_AT_EDGE_MM, _NEAR_EDGE_MM = 2.0, 12.0  # a place that ends so near top line or hem runs out there, and begins to
_FURTHER_MM, _NOWHERE_MM = 40.0, 240.0
_STEP_MM = 0.5
_LOOKED_AT, _HARDLY = 41, 0.02


class PlacedChange(Record):
    """A change along one seam, on one half or both, mm at each panel edge at its peak; positive lets out.

    None at low or high lets it run out at the hem or the top line. `seen` is what it answers, at `fitting`.
    """

    seam: int = Field(ge=1, le=8, description="Seam k joins panels k and k + 1.")
    half: Half = "both"
    low_mm: Height | None = None
    peak_mm: Height
    high_mm: Height | None = None
    cf_side_mm: PlaceAmount
    cb_side_mm: PlaceAmount
    seen: Seen = "by hand"
    fitting: int | None = None

    @property
    def at(self) -> "At":
        """Where it is: what tells it from others."""
        return self.seam, self.half, self.peak_mm

    @property
    def amount_mm(self) -> float:
        """Both edges together, on one half."""
        return self.cf_side_mm + self.cb_side_mm

    def ends(self, pattern: Pattern) -> tuple[float, float]:
        """From where to where it runs on a pattern, mm."""
        low, high = reach(pattern)
        first = low if self.low_mm is None else max(low, self.low_mm)
        return first, high if self.high_mm is None else min(high, self.high_mm)


At = tuple[int, Half, float]


def reach(pattern: Pattern) -> tuple[float, float]:
    """From the lowest point of the hem to the highest of the top line, mm."""
    return min(pattern.hem.heights()), max(pattern.top.heights())


def between(
    pattern: Pattern, seam: int, from_mm: float, to_mm: float, amount_mm: float, *, half: Half = "both"
) -> PlacedChange:
    """A change of a seam between two heights, half of it on each panel edge; it runs out at an edge it comes near.

    `amount_mm` is of both edges at its peak, on each half that is changed; below 0 takes in.
    """
    low, high = reach(pattern)
    start, end = sorted((from_mm, to_mm))
    at_hem, at_top = _runs_out(start - low), _runs_out(high - end)
    middle = (start + end) / 2
    return PlacedChange(
        seam=seam,
        half=half,
        low_mm=_end(start, at_hem, -1),
        peak_mm=middle + at_top * (high - middle) + at_hem * (low - middle),
        high_mm=_end(end, at_top, 1),
        cf_side_mm=amount_mm / 2,
        cb_side_mm=amount_mm / 2,
    )


def _runs_out(beside_mm: float) -> float:
    """How far a place that ends `beside_mm` within an edge of the garment runs out at it: from 0 to 1, all the way."""
    return float(np.clip((_NEAR_EDGE_MM - beside_mm) / (_NEAR_EDGE_MM - _AT_EDGE_MM), 0.0, 1.0))


def _end(z_mm: float, runs_out: float, way: int) -> float | None:
    """Where a place ends that runs out so far: beyond its own end more and more, at last nowhere."""
    further = _FURTHER_MM * runs_out / max(1 - runs_out, 1e-9)
    return None if further > _NOWHERE_MM else z_mm + way * further


def near(pattern: Pattern, round_: float, z_mm: float, *, behind: bool) -> list[tuple[int, bool, bool]]:
    """Seams of the front or the back block from the nearest to a place round her on: seam, and which edges are in it.

    `round_` is 0 at CF, 1 at the side, 2 at CB; of the side seam only the edge that lies in the block belongs to it.
    """
    run = pattern.shape.seams_from_cf(z_mm)
    side = pattern.front_panels
    places = np.where(
        np.arange(len(run)) <= side, run / run[side], 1 + (run - run[side]) / max(float(run[-1] - run[side]), 1e-9)
    )
    seams = range(side, len(pattern.panels)) if behind else range(1, side + 1)
    ordered = sorted(seams, key=lambda seam: abs(float(places[seam]) - round_))
    return [(seam, seam != side or not behind, seam != side or behind) for seam in ordered]


def spread(
    pattern: Pattern,
    round_: float,
    z_mm: float,
    reach_mm: float,
    amount_mm: float,
    *,
    behind: bool | None,
    half: Half,
    cap_mm: float,
) -> tuple[list[PlacedChange], float]:
    """A change about a height between seams, at the nearest of its block, and what of it the seams can't take (mm).

    It fades over `reach_mm` up and down, and stays as it is up to an edge that it comes near.
    The nearest seam takes it; where it takes no more (`cap_mm` for both its edges) the next does too, in half
    millimetres. `behind` None is of the side: the side seam first, then its neighbours. `amount_mm` is of one half.
    """
    if behind is None:
        side = pattern.front_panels
        order = sorted(range(1, len(pattern.panels)), key=lambda seam: abs(seam - side))
        seams = [(seam, True, True) for seam in order]
    else:
        seams = near(pattern, round_, z_mm, behind=behind)
    left, (low, high) = amount_mm, reach(pattern)
    found = []
    for seam, cf, cb in seams:
        here = float(np.clip(left, -(cf + cb) * cap_mm / 2, (cf + cb) * cap_mm / 2))
        left, steps = left - here, _in_steps(here, cf + cb)
        found.append(
            PlacedChange(
                seam=seam,
                half=half,
                low_mm=_end(z_mm - reach_mm, _runs_out(z_mm - reach_mm - low), -1),
                peak_mm=min(max(z_mm, low), high),
                high_mm=_end(z_mm + reach_mm, _runs_out(high - z_mm - reach_mm), 1),
                cf_side_mm=steps.pop(0) if cf else 0.0,
                cb_side_mm=steps.pop(0) if cb else 0.0,
            )
        )
    return [one for one in found if one.cf_side_mm or one.cb_side_mm], left


def _in_steps(amount_mm: float, count: int) -> list[float]:
    """An amount in `count` shares of half millimetres; the first ones take what does not go evenly."""
    steps = round(abs(amount_mm) / _STEP_MM)
    each, more = divmod(steps, max(count, 1))
    return [float(np.sign(amount_mm)) * _STEP_MM * (each + (k < more)) for k in range(count)]


def with_places(pattern: Pattern, places: Iterable[PlacedChange]) -> Pattern:
    """The pattern with these changes made, as slack at their places. A change of one half parts the halves."""
    for place in places:
        left = pattern.left
        if left is None and place.half != "both":
            left = LeftHalf(panels=pattern.panels, top=pattern.top, hem=pattern.hem)
        panels = pattern.panels if place.half == "left" else _moved(pattern.panels, place)
        if left is not None and place.half != "right":
            left = left.model_copy(update={"panels": _moved(left.panels, place)})
        pattern = pattern.altered(panels=panels, left=left)
    return pattern


def _moved(panels: tuple[Panel, ...], change: PlacedChange) -> tuple[Panel, ...]:
    def bump(amount: float) -> Bump:
        ends = {"low_mm": change.low_mm, "peak_mm": change.peak_mm, "high_mm": change.high_mm}
        return Bump(**ends, amount_mm=amount, slack=True)

    before, after = panels[change.seam - 1], panels[change.seam]
    if change.cf_side_mm:
        before = before.model_copy(update={"cb_bumps": add_bump(before.cb_bumps, bump(change.cf_side_mm))})
    if change.cb_side_mm:
        after = after.model_copy(update={"cf_bumps": add_bump(after.cf_bumps, bump(-change.cb_side_mm))})
    return (*panels[: change.seam - 1], before, after, *panels[change.seam + 1 :])


def most_taken_in(pattern: Pattern, place: PlacedChange, least_width_mm: float) -> float:
    """How much of a change at its place the panels beside its seam hold (mm, both edges), on the halves that it is of.

    No panel may become narrower than `least_width_mm` along it.
    """
    z = np.linspace(*place.ends(pattern), _LOOKED_AT)
    share = np.abs(Bump(low_mm=place.low_mm, peak_mm=place.peak_mm, high_mm=place.high_mm, amount_mm=0.5).at(z))
    halves = [pattern] if place.half != "left" else []
    halves += [pattern.left_pattern or pattern] if place.half != "right" else []
    room = np.min([half.shape.widths(z)[:, place.seam - 1 : place.seam + 1].min(axis=1) for half in halves], axis=0)
    at = share > _HARDLY
    return float(np.min((room[at] - least_width_mm) / share[at], initial=np.inf))


def places_of(pattern: Pattern) -> list[PlacedChange]:
    """What was changed at places of a pattern, by seam, from the top down; on both halves where they are alike."""
    right = _of_half(pattern.panels)
    if pattern.left is None:
        return _ordered(right.values())
    left = _of_half(pattern.left.panels)
    found = []
    for where in {**right, **left}:
        mine, other = right.get(where), left.get(where)
        if mine is not None and mine == other:
            found.append(mine)
            continue
        found += [one.model_copy(update={"half": half}) for one, half in ((mine, "right"), (other, "left")) if one]
    return _ordered(found)


def _ordered(places: Iterable[PlacedChange]) -> list[PlacedChange]:
    return sorted(places, key=lambda place: (place.seam, -place.peak_mm, place.half))


def _of_half(panels: Sequence[Panel]) -> dict[tuple[int, float | None, float, float | None], PlacedChange]:
    found: dict[tuple[int, float | None, float, float | None], PlacedChange] = {}
    for seam, (before, after) in enumerate(zip(panels, panels[1:], strict=False), start=1):
        for field, sign, bumps in (("cf_side_mm", 1, before.cb_bumps), ("cb_side_mm", -1, after.cf_bumps)):
            for bump in bumps:
                if not bump.slack:
                    continue
                where = seam, bump.low_mm, bump.peak_mm, bump.high_mm
                was = found.get(where) or PlacedChange(
                    seam=seam,
                    low_mm=bump.low_mm,
                    peak_mm=bump.peak_mm,
                    high_mm=bump.high_mm,
                    cf_side_mm=0,
                    cb_side_mm=0,
                )
                found[where] = was.model_copy(update={field: getattr(was, field) + sign * bump.amount_mm})
    return found


def carried(before: Pattern, after: Pattern) -> Pattern:
    """A pattern cut otherwise, with what was changed at places of the one before it, at the nearest seams."""
    places = []
    for place in places_of(before):
        where = float(before.shape.places[2 * place.seam - 1])
        behind = None if place.seam == before.front_panels else place.seam > before.front_panels
        seam = after.front_panels if behind is None else near(after, where, place.peak_mm, behind=behind)[0][0]
        places.append(place.model_copy(update={"seam": seam}))
    return with_places(after, places)
