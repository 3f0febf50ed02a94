"""The back: rows of holes with the pull-loop pair at the waist, and the lace (model, section 9)."""

import math
from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Finding, Mend, Message, finding, mend, message
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.closures.lacing import LacePattern, walk_length
from fuseau.craft.materials.catalogue import GROMMETS, LACES, GrommetKind, GrommetName, LaceKind, LaceName

Modesty = Literal["none", "floating", "sewn", "hung"]


class BackChoices(Record):
    """How the back is laced: holes and their pitch, the walk, the panel behind it, the tape at the waist.

    A pitch of None follows from the pull; a pattern of None is crossed, with pull loops where the lace draws in.
    """

    pitch_mm: Annotated[float, Length("a pitch of rows", 14, 60, hardware=True)] | None = None
    waist_pitch_mm: Annotated[float, Length("a pitch of rows", 14, 60, hardware=True)] | None = Field(
        default=None, description="Closer rows near the waist, where the pull is hardest; None: as the others."
    )
    holes: GrommetName = "grommet_5"
    lace: LaceName = "cord_4"
    pattern: LacePattern | None = None
    modesty: Modesty = "floating"
    waist_tape: bool | None = Field(default=None, description="None: a tape wherever the garment draws the waist in.")


class Row(Record):
    """One row of holes: its height, how far up and down it holds the edge, and what that comes to in newtons."""

    z_mm: float
    holds_up_mm: float
    carries_n: float


class ModestyPanel(Record):
    """The panel behind the lacing, finished: its size, what stiffens it, and the widest waist it still covers, mm."""

    attached: Modesty
    width_mm: float
    height_mm: float
    bones_along_mm: tuple[float, ...]
    bones_across_mm: tuple[float, ...]
    covers_waist_mm: float
    sentence: Message


class WaistTape(Record):
    """The tape at the waist of one half: cut length with its turnings, and where it begins and ends, mm from CF."""

    cut_mm: float
    from_cf_mm: float
    to_cf_mm: float
    sentence: Message


class Lace(Record):
    """Lengths of lace, mm: worn, and open wide enough to get in; what hangs loose when worn."""

    worn_mm: float
    getting_in_mm: float
    cut_mm: float
    loose_when_worn_mm: float


def rows(
    top_mm: float,
    hem_mm: float,
    pitch_mm: float,
    practice: Practice,
    *,
    pull_loops: bool = True,
    waist_pitch_mm: float | None = None,
) -> tuple[float, ...]:
    """Heights of the holes of one edge, from the top down, mm; the other edge has the same.

    The pull-loop pair straddles the waist; above and below rows lie evenly, at the pitch nearest the wish that
    puts the last at its margin from the finished edge. `waist_pitch_mm` is that of the rows near the waist. Without
    pull loops the rows lie evenly from end to end.
    Raises Unmakeable when the edge is too short.
    """
    pair = practice.loop_pair_mm
    highest, lowest = top_mm - practice.row_margin_mm, hem_mm + practice.row_margin_mm
    if not pull_loops:
        margin = min(practice.row_margin_mm, (top_mm - hem_mm) / 6)
        return tuple(_evenly(hem_mm + margin, top_mm - margin, pitch_mm)[::-1])
    if highest < pair or lowest > -pair:
        raise Unmakeable("draft.top.cb_mm", "back_too_short")
    upper = _outward(pair, highest, pitch_mm, waist_pitch_mm, practice)
    lower = _outward(pair, -lowest, pitch_mm, waist_pitch_mm, practice)
    return (*upper[::-1], *(-z for z in lower))


def _outward(start: float, end: float, pitch: float, near: float | None, practice: Practice) -> list[float]:
    """From the pair at the waist outward: at the closer pitch as far as that goes, then evenly to the last row."""
    if near is None or near >= pitch:
        return _evenly(start, end, pitch)
    close = [start]
    while close[-1] + near <= min(practice.waist_rows_mm, end - pitch / 2) + 1e-9:
        close.append(close[-1] + near)
    return [*close[:-1], *_evenly(close[-1], end, pitch)]


def _evenly(start: float, end: float, pitch: float) -> list[float]:
    """From `start` to `end` at the even pitch nearest the wish, both included; one row where no second fits."""
    count = round((end - start) / pitch)
    if count == 0:
        return [start]
    return [start + (end - start) * i / count for i in range(count + 1)]


def usual_pitch(pull_n_per_m: float, practice: Practice) -> float:
    """The pitch of the rows for a pull: closer where it is hard, wider on light work (handbook, 3.7)."""
    if pull_n_per_m < practice.light_rows_n_per_m:
        return practice.row_pitch_light_mm
    if pull_n_per_m > practice.hard_rows_n_per_m:
        return practice.row_pitch_hard_mm
    return practice.row_pitch_mm


def carried(heights_mm: tuple[float, ...], top_mm: float, hem_mm: float, pull_n_per_m: float) -> tuple[Row, ...]:
    """What each row of holes carries: the pull over the stretch of edge that is nearest to it.

    The stretches are bounded half-way between rows, and by the ends of the edge; they add up to the whole edge.
    """
    bounds = [top_mm, *((a + b) / 2 for a, b in zip(heights_mm, heights_mm[1:], strict=False)), hem_mm]
    return tuple(
        Row(z_mm=z, holds_up_mm=upper - lower, carries_n=pull_n_per_m * (upper - lower) / 1000)
        for z, upper, lower in zip(heights_mm, bounds, bounds[1:], strict=False)
    )


def modesty_panel(
    attached: Modesty, widest_gap_mm: float, top_mm: float, hem_mm: float, closed_waist_mm: float, practice: Practice
) -> ModestyPanel | None:
    """The panel behind a gap: the widest planned gap and an overlap on each side; from top to hem, less a little.

    Its bones: one along each long side, and across at the waist, top and bottom (model, section 9). None for no panel.
    """
    if attached == "none":
        return None
    width = widest_gap_mm + 2 * practice.modesty_overlap_mm
    height = top_mm - hem_mm - practice.modesty_short_mm
    covers = closed_waist_mm + width - 2 * practice.modesty_overlap_mm
    inside = 2 * practice.modesty_margin_mm
    return ModestyPanel(
        attached=attached,
        width_mm=width,
        height_mm=height,
        bones_along_mm=(height - inside, height - inside),
        bones_across_mm=(width - inside,) * 3,
        covers_waist_mm=covers,
        sentence=message(f"modesty.{attached}"),
    )


def waist_tape(half_waist_mm: float, front_stop_mm: float, back_stop_mm: float, practice: Practice) -> WaistTape:
    """The tape of one half, between the front bone and the lacing edge, with a turning at both ends.

    `half_waist_mm` is the sewn half at the waist; it stops `front_stop_mm` from CF, and `back_stop_mm` from CB.
    """
    start, end = front_stop_mm, half_waist_mm - back_stop_mm
    return WaistTape(
        cut_mm=math.ceil(end - start + 2 * practice.tape_turning_mm),
        from_cf_mm=start,
        to_cf_mm=end,
        sentence=message("waist_tape"),
    )


def cut_lace(
    heights_mm: tuple[float, ...],
    worn_gap_mm: float,
    getting_in_gap_mm: float,
    inset_mm: float,
    practice: Practice,
    *,
    pattern: LacePattern = "cross with pull loops",
) -> Lace:
    """How much lace to cut: enough to get in with short tails, or to wear with pull loops, whichever is more."""
    tails = 2 * practice.lace_tail_mm
    loops = 2 * practice.lace_loop_mm if pattern == "cross with pull loops" else 0.0
    worn = walk_length(heights_mm, worn_gap_mm, inset_mm, pattern, loops, tails)
    open_wide = walk_length(heights_mm, max(getting_in_gap_mm, worn_gap_mm), inset_mm, pattern, 0, tails)
    cut = math.ceil(max(worn, open_wide) / 100) * 100.0
    return Lace(
        worn_mm=worn,
        getting_in_mm=open_wide,
        cut_mm=cut,
        loose_when_worn_mm=cut - (worn - loops),
    )


def grommet_count(heights_mm: tuple[float, ...], bought: bool = True) -> tuple[int, int]:
    """Holes of both edges, and spares of what is bought for them: 10 %, two at least."""
    holes = 2 * len(heights_mm)
    return holes, max(2, math.ceil(holes / 10)) if bought else 0


def check_lace(lace: LaceKind, hole: GrommetKind, hardest_n: float, practice: Practice) -> list[Finding]:
    """Whether the lace goes through the holes, and bears the pull."""
    found = []
    if lace.through_mm > hole.hole_mm - practice.lace_play_mm:
        goes = [one for one in LACES.values() if one.through_mm <= hole.hole_mm - practice.lace_play_mm]
        best = max((one for one in goes if one.name != "ribbon_4"), key=lambda one: one.through_mm, default=None)
        found.append(
            finding(
                "lace_too_thick",
                "back",
                "caution",
                at="back.lace",
                where="CB",
                numbers={"through_mm": lace.through_mm, "hole_mm": hole.hole_mm},
                mend=_take_lace(best),
                lace=lace.label,
            )
        )
    if lace.name == "ribbon_4" and hardest_n > practice.ribbon_holds_n:
        found.append(
            finding(
                "ribbon_wears",
                "back",
                "caution",
                at="back.lace",
                where="CB",
                numbers={"carries_n": hardest_n},
                mend=_take_lace(LACES["flat_8"]),
            )
        )
    return found


def _take_lace(lace: LaceKind | None) -> Mend | None:
    if lace is None:
        return None
    return mend("mend.take", Change(at="back.lace", value=lace.name), what=lace.label)


def check_holes(rows_: tuple[Row, ...], kind: GrommetKind, lightest_mm: float) -> list[Finding]:
    """Whether the holes hold what they carry, and lie clear of each other."""
    found = []
    hardest = max(rows_, key=lambda row: row.carries_n)
    if hardest.carries_n > kind.holds_n:
        stronger = [one for one in GROMMETS.values() if one.holds_n > hardest.carries_n]
        best = min(stronger, key=lambda one: one.minutes) if stronger else None
        found.append(
            finding(
                "holes_tear",
                "back",
                "caution",
                at="back.holes",
                where="CB",
                numbers={"carries_n": hardest.carries_n, "holds_n": kind.holds_n},
                mend=mend("mend.take", Change(at="back.holes", value=best.name), what=best.label) if best else None,
                hole=kind.label,
            )
        )
    pitch = min((a.z_mm - b.z_mm for a, b in zip(rows_, rows_[1:], strict=False)), default=math.inf)
    if pitch < kind.flange_mm + lightest_mm:
        needed = math.ceil(kind.flange_mm + lightest_mm) + 2
        changes = (Change(at="back.pitch_mm", value=needed), Change(at="back.waist_pitch_mm", value=None))
        found.append(
            finding(
                "holes_clash",
                "back",
                "stop",
                at="back.pitch_mm",
                where="CB",
                numbers={"pitch_mm": pitch, "flange_mm": kind.flange_mm},
                mend=mend("mend.pitch", *changes, pitch_mm=needed),
            )
        )
    return found
