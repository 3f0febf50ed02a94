"""Straps, halters and bands round the arm: length, the slant of their ends, and how high the arm goes (model, 15)."""

import math

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.record import Record
from fuseau.craft.trims.choices import Strap

RISE_MM = 70.0  # how much longer the way over the shoulder is with the arm straight up: an estimate, not measured
_CURVE = 1.06  # the way over the shoulder is so much longer than the straight lines to its highest point


class StrapLaid(Record):
    """A strap of one side: finished length, cut length, and how far each end leans from upright, degrees.

    `guessed`: the way over the shoulder follows from the shoulder's place, not from the tape. `arm_deg`: how high the
    arm can be raised before it pulls. `up_mm`: so high its way over the shoulder lies above the waist; None round the
    arm.
    """

    finished_mm: float
    cut_mm: float
    front_deg: float
    back_deg: float
    guessed: bool
    arm_deg: float
    eases_mm: float
    count: int
    up_mm: float | None = None


def lay_strap(
    strap: Strap, front_z_mm: float, back_z_mm: float, front_length_mm: float, back_length_mm: float, at: str
) -> StrapLaid:
    """A strap from the top line in front to that behind.

    `front_z_mm` and `back_z_mm` are how high the top line lies there above the waist; `..._length_mm` how long it is
    from CF to the side and from CB. Raises Unmakeable at a field below `at` for a point that is not on it, or for want
    of a way over the shoulder.
    """
    if strap.front_mm > front_length_mm:
        raise Unmakeable(f"{at}.front_mm", "strap.no_front", most_mm=front_length_mm)
    if strap.kind != "halter" and strap.back_mm > back_length_mm:
        raise Unmakeable(f"{at}.back_mm", "strap.no_back", most_mm=back_length_mm)
    if strap.kind == "off the shoulder":
        return _round_the_arm(strap, at)
    out = strap.shoulder_out_mm
    up = strap.shoulder_up_mm
    if strap.over_mm is None and up is None:
        raise Unmakeable(f"{at}.over_mm", "strap.no_way")
    height = up if up is not None else _height_of(strap, front_z_mm, back_z_mm)
    rises = max(1.0, height - front_z_mm), max(1.0, height - back_z_mm)
    front = math.hypot(rises[0], strap.front_mm - out)
    back = math.hypot(rises[1], strap.back_mm - out)
    way = strap.over_mm if strap.over_mm is not None else _CURVE * (front + back)
    finished = way + strap.ease_mm
    eases = strap.ease_mm + strap.stretch_share * finished
    return StrapLaid(
        finished_mm=finished,
        cut_mm=finished + 2 * strap.in_length_mm,
        front_deg=math.degrees(math.atan2(out - strap.front_mm, rises[0])),
        back_deg=math.degrees(math.atan2(out - strap.back_mm, rises[1])),
        guessed=strap.over_mm is None,
        arm_deg=_arm(eases),
        eases_mm=eases,
        count=1 if strap.kind == "halter" else 2,
        up_mm=height,
    )


def _height_of(strap: Strap, front_z: float, back_z: float) -> float:
    """The shoulder above the waist, from the way over it: both straight lines and their curve come to that."""
    assert strap.over_mm is not None
    low, high = max(front_z, back_z), max(front_z, back_z) + strap.over_mm
    for _ in range(60):
        middle = (low + high) / 2
        way = _CURVE * (
            math.hypot(middle - front_z, strap.front_mm - strap.shoulder_out_mm)
            + math.hypot(middle - back_z, strap.back_mm - strap.shoulder_out_mm)
        )
        low, high = (middle, high) if way < strap.over_mm else (low, middle)
    return high


def _arm(eases_mm: float) -> float:
    """How high the arm goes: the way grows with the sine of half the angle, by `RISE_MM` at 180°.

    >>> round(_arm(70.0)), round(_arm(0.0)), round(_arm(35.0))
    (180, 0, 60)
    """
    share = min(1.0, max(0.0, eases_mm / RISE_MM))
    return math.degrees(2 * math.asin(share))


def _round_the_arm(strap: Strap, at: str) -> StrapLaid:
    if strap.arm_mm is None:
        raise Unmakeable(f"{at}.arm_mm", "strap.no_arm")
    finished = strap.arm_mm + strap.ease_mm
    eases = strap.ease_mm + strap.stretch_share * finished
    return StrapLaid(
        finished_mm=finished,
        cut_mm=finished + 2 * strap.in_length_mm,
        front_deg=0.0,
        back_deg=0.0,
        guessed=False,
        arm_deg=_arm(eases),
        eases_mm=eases,
        count=2,
    )
