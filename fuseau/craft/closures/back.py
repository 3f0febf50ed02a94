"""The back: what its holes carry, the lace, the panel behind the gap, the tape at the waist (model, section 9)."""

import math
from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Finding, Mend, Message, finding, mend, message
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Amount, Record
from fuseau.craft.boning.bones import bone_length
from fuseau.craft.closures.front import SewnShut
from fuseau.craft.closures.lacing import LacePattern, walk_length
from fuseau.craft.closures.rows import RowWishes
from fuseau.craft.materials.catalogue import (
    GROMMETS,
    LACES,
    BoneKind,
    BoneName,
    GrommetKind,
    GrommetName,
    LaceKind,
    LaceName,
)

Modesty = Literal["none", "floating", "sewn", "hung"]


class BackChoices(Record):
    """How the back is laced: holes and their pitch, the walk, the panel behind it, the tape at the waist.

    What is wished is met exactly, or refused; what is None follows: the pitch from the pull, margins and the panel's
    size from the house. A pattern of None is crossed, with pull loops where the lace draws in.
    """

    laced: bool = Field(default=True, description="False: CB is a seam, or closes with what opens the garment.")
    rows: Annotated[int, Amount("the number of rows on each side", 2, 60, whole=True)] | None = None
    pitch_mm: Annotated[float, Length("a pitch of rows", 14, 60, hardware=True)] | None = None
    top_margin_mm: Annotated[float, Length("the margin of the first row", 5, 80, hardware=True)] | None = None
    bottom_margin_mm: Annotated[float, Length("the margin of the last row", 5, 80, hardware=True)] | None = None
    waist_pitch_mm: Annotated[float, Length("a pitch of rows", 14, 60, hardware=True)] | None = Field(
        default=None, description="Closer rows near the waist, where the pull is hardest; None: as the others."
    )
    holes: GrommetName = "grommet_5"
    lace: LaceName = "cord_4"
    pattern: LacePattern | None = None
    modesty: Modesty = "floating"
    modesty_width_mm: Annotated[float, Length("the modesty panel's width", 20, 800)] | None = None
    modesty_height_mm: Annotated[float, Length("the modesty panel's height", 30, 600)] | None = None
    modesty_bone: BoneName | None = Field(default=None, description="None: as the bones between the seams.")
    waist_tape: bool | None = Field(default=None, description="None: a tape wherever the garment draws the waist in.")

    @property
    def row_wishes(self) -> RowWishes:
        """What is wished of the rows."""
        return RowWishes(
            count=self.rows,
            pitch_mm=self.pitch_mm,
            waist_pitch_mm=self.waist_pitch_mm,
            top_margin_mm=self.top_margin_mm,
            bottom_margin_mm=self.bottom_margin_mm,
        )


class Row(Record):
    """One row of holes: its height, how far up and down it holds the edge, and what that comes to in newtons."""

    z_mm: float
    holds_up_mm: float
    carries_n: float


class ModestyPanel(Record):
    """The panel behind the lacing, finished: its size, what stiffens it, and the widest waist it still covers,
    and how far it reaches under each edge where the gap is widest, mm.

    Its bones are of one kind, called `bone_label`, and come to `bones_grams` and `bones_price`.
    """

    attached: Modesty
    width_mm: float
    height_mm: float
    bones_along_mm: tuple[float, ...]
    bones_across_mm: tuple[float, ...]
    bone: BoneName
    bone_label: str
    bones_grams: float
    bones_price: float
    covers_waist_mm: float
    under_each_mm: float
    sentence: Message

    @property
    def bones_mm(self) -> tuple[float, ...]:
        """Every bone in it."""
        return tuple(mm for mm in (*self.bones_along_mm, *self.bones_across_mm) if mm > 0)


class TapeRun(Record):
    """Where the tape at the waist begins and ends on a half, mm from CF along the waist."""

    from_cf_mm: float
    to_cf_mm: float


class WaistTape(Record):
    """The tape at the waist: where it runs on each half, and the lengths it is cut in, with their turnings, mm.

    It is one length over every line that is sewn shut: one over CF or CB, else one for each half.
    """

    right: TapeRun
    left: TapeRun
    cuts_mm: tuple[float, ...]
    sentence: Message


class Lace(Record):
    """Lengths of lace, mm: worn, and open wide enough to get in; what hangs loose when worn."""

    worn_mm: float
    getting_in_mm: float
    cut_mm: float
    loose_when_worn_mm: float


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
    choices: BackChoices,
    widest_gap_mm: float,
    top_mm: float,
    hem_mm: float,
    closed_waist_mm: float,
    back_mm: float,
    kind: BoneKind,
    practice: Practice,
) -> ModestyPanel | None:
    """The panel behind a gap: the widest planned gap and an overlap on each side; from top to hem, less a little.

    Or as wide and as high as it is wished: Unmakeable for one that is wider than the back (`back_mm`, as worn) or
    higher than it. Its bones: one along each long side, and across at the waist, top and bottom (model, section 9).
    None for no panel.
    """
    if choices.modesty == "none":
        return None
    width, height = choices.modesty_width_mm, choices.modesty_height_mm
    if width is not None and width > back_mm:
        raise Unmakeable("back.modesty_width_mm", "modesty.too_wide", wide_mm=width, most_mm=back_mm)
    if height is not None and height > top_mm - hem_mm:
        raise Unmakeable("back.modesty_height_mm", "modesty.too_high", high_mm=height, most_mm=top_mm - hem_mm)
    width = width or widest_gap_mm + 2 * practice.modesty_overlap_mm
    height = height or top_mm - hem_mm - practice.modesty_short_mm
    inside = 2 * practice.modesty_margin_mm
    along, across = (bone_length(max(mm - inside, 0.0), kind, practice, 0.0) for mm in (height, width))
    bones = [mm for mm in (along, along, across, across, across) if mm > 0]
    return ModestyPanel(
        attached=choices.modesty,
        width_mm=width,
        height_mm=height,
        bones_along_mm=(along, along),
        bones_across_mm=(across,) * 3,
        bone=kind.name,
        bone_label=kind.label,
        bones_grams=sum(bones) / 1000 * kind.g_per_m,
        bones_price=sum(bones) / 1000 * kind.price_per_m + len(bones) * kind.price_each,
        covers_waist_mm=closed_waist_mm + width - 2 * practice.modesty_overlap_mm,
        under_each_mm=(width - widest_gap_mm) / 2,
        sentence=message(f"modesty.{choices.modesty}"),
    )


def check_modesty(panel: ModestyPanel | None, practice: Practice) -> list[Finding]:
    """Whether a panel of a wished width still reaches under both edges where the gap is widest."""
    if panel is None or panel.under_each_mm >= practice.modesty_least_mm:
        return []
    wished = 2 * (practice.modesty_overlap_mm - panel.under_each_mm) + panel.width_mm
    return [
        finding(
            "modesty_narrow",
            "back",
            "caution",
            at="back.modesty_width_mm",
            where="CB",
            numbers={"under_mm": max(panel.under_each_mm, 0.0), "wide_mm": panel.width_mm},
            mend=mend("mend.modesty_width", Change(at="back.modesty_width_mm", value=None), wide_mm=wished),
            said="modesty_narrow" if panel.under_each_mm > 0 else "modesty_narrow.shows",
        )
    ]


def waist_tape(
    halves_mm: tuple[float, float],
    front_stops_mm: tuple[float, float],
    back_stops_mm: tuple[float, float],
    practice: Practice,
    *,
    shut: SewnShut,
) -> WaistTape:
    """The tape between the front bones and the lacing edges, turned in only where it ends.

    `halves_mm` are the right and the left sewn half at the waist; on each it stops so far from CF, and from CB. Over a
    middle line that is `shut` it goes on.
    """
    right, left = (
        TapeRun(from_cf_mm=front, to_cf_mm=max(half - back, front))
        for half, front, back in zip(halves_mm, front_stops_mm, back_stops_mm, strict=True)
    )
    runs = [run.to_cf_mm - run.from_cf_mm for run in (right, left)]
    lengths = [sum(runs)] if any(shut) else runs
    return WaistTape(
        right=right,
        left=left,
        cuts_mm=tuple(float(math.ceil(length + 2 * practice.tape_turning_mm)) for length in lengths),
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
    findings = []
    if lace.through_mm > hole.hole_mm - practice.lace_play_mm:
        goes = [one for one in LACES.values() if one.through_mm <= hole.hole_mm - practice.lace_play_mm]
        best = max((goe for goe in goes if goe.name != "ribbon_4"), key=lambda goe: goe.through_mm, default=None)
        findings.append(
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
        findings.append(
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
    return findings


def _take_lace(lace: LaceKind | None) -> Mend | None:
    if lace is None:
        return None
    return mend("mend.take", Change(at="back.lace", value=lace.name), what=lace.label)


def check_holes(rows_: tuple[Row, ...], kind: GrommetKind) -> list[Finding]:
    """Whether the holes hold what they carry."""
    findings = []
    hardest = max(rows_, key=lambda row: row.carries_n)
    if hardest.carries_n > kind.holds_n:
        stronger = [grommet for grommet in GROMMETS.values() if grommet.holds_n > hardest.carries_n]
        best = min(stronger, key=lambda one: one.minutes) if stronger else None
        findings.append(
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
    return findings
