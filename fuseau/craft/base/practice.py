"""House numbers: constants of the trade, each with its reason. A maker can change every one of them.

They are common workshop practice, not laws (handbook; model sections 2 to 9).
"""

from pydantic import Field

from fuseau.craft.base.record import Record


def _number(default: float, reason: str, low: float, high: float) -> float:
    """A house number with its reason and the range in which it makes sense."""
    return Field(default=float(default), ge=low, le=high, description=reason)


_UNITS = {"mm": "mm", "kpa": "kPa", "n": "N", "deg": "°", "percent": "%"}


def range_of(name: str) -> str:
    """Within what a house number makes sense, in a sentence with its name and unit.

    >>> range_of("ruler_spread_mm")
    'Ruler spread goes from 0.5 to 20 mm.'
    """
    bounds = {type(mark).__name__: mark for mark in Practice.model_fields[name].metadata}
    stem, _, last = name.rpartition("_")
    unit = _UNITS.get(last)
    said = (stem if unit else name).replace("_", " ")
    ending = "" if unit is None else unit if unit == "°" else f" {unit}"
    return f"{said[0].upper()}{said[1:]} goes from {bounds['Ge'].ge:g} to {bounds['Le'].le:g}{ending}."


class Practice(Record):
    """Editable workshop defaults. Units are in the names; the description of each field is its reason."""

    pressure_scale_kpa: float = _number(2.0, "Pressure at which flesh has given most of what it gives.", 0.2, 20)
    tape_spread_single_mm: float = _number(7, "One reading of a tape is good to about this.", 1, 30)
    tape_spread_least_mm: float = _number(3, "However often it is read, a tape is no better.", 0.5, 20)
    tape_spread_unconfirmed_mm: float = _number(12, "A number sent by a client and not confirmed.", 1, 50)
    tape_spread_guessed_mm: float = _number(25, "A level nobody measured, filled in from its neighbours.", 5, 80)
    readings_disagree_mm: float = _number(15, "Two readings further apart than this: measure again.", 3, 60)
    ruler_spread_mm: float = _number(3, "A gap read with a ruler on a laced back.", 0.5, 20)

    word_spread: float = _number(1.0, "How much an answer in words is trusted: wider is less.", 0.2, 5)
    laced_spread_mm: float = _number(5, "A girth taped over the laced garment.", 1, 30)
    pinch_spread_mm: float = _number(4, "What was pinched out or slashed open at a seam.", 1, 20)
    dig_let_out_mm: float = _number(6, "What the nearest seam is let out by, on each half, where a place digs.", 2, 20)
    side_seam_off_mm: float = _number(2, "A side seam that swings by less hangs where it should.", 0.5, 20)
    waist_off_mm: float = _number(5, "A waist that sits higher or lower by less sits where it should.", 1, 30)
    word_holds_mm: float = _number(5, "By so much a word of where it digs or stands off goes before the gaps.", 0, 30)
    place_reach_mm: float = _number(40, "How far up and down a place reaches that was touched.", 10, 120)
    model_spread_mm: float = _number(2, "What a gap differs by from any model, however good.", 0, 20)
    give_spread: float = _number(0.3, "How far one body's give is from the table's.", 0.05, 1)
    pull_spread: float = _number(0.2, "One evening's “close” is another's “firm”.", 0.02, 1)
    pull_lean: float = _number(0.03, "How much harder a lace is drawn at the top than at the bottom.", 0.005, 1)
    lace_friction: float = _number(0.1, "What of the pull is lost in the holes on the way to the far end.", 0, 0.6)
    friction_spread: float = _number(0.08, "How far that is from lace to lace.", 0.005, 0.5)
    pulls_together: float = _number(0.5, "How much two lacings of one evening are alike in their pull.", 0, 0.95)
    ride_spread_mm: float = _number(4, "A garment finds its own place on a body, higher or lower.", 0.5, 20)
    once_share: float = _number(0.15, "How much of that differs from one lacing to the next.", 0.01, 1)
    unsaid_stand_off_mm: float = _number(10, "Had it gaped by more, she would have said so.", 2, 100)
    evenings_differ_mm: float = _number(15, "One garment at one pull reads so much alike, evening to evening.", 3, 80)
    ride_told_mm: float = _number(10, "How far a waist that was told to sit high or low may do so once only.", 1, 40)
    ride_seen_mm: float = _number(4, "Where a waist sits is seen to so much.", 0.5, 40)
    mark_share: float = _number(0.002, "How finely a mark is set on a picture, as a share of its width.", 0.0002, 0.05)
    pinned_spread_mm: float = _number(2, "A gap that is pinned does not breathe.", 0.2, 40)
    pinned_pull_spread: float = _number(0.5, "Fingers that pin draw anyhow.", 0.02, 2)
    unboned_wider: float = _number(2, "Without bones cloth wrinkles: what is seen counts for less.", 1, 10)
    thin_wider: float = _number(1.5, "So it does in a cloth thinner than half the final one.", 1, 10)
    bare_edge_n_m2: float = _number(0.03, "What a folded edge with grommets and no bone resists.", 0.001, 1)
    tape_common_mm: float = _number(4, "A tape held tight, loose or over a shirt errs at every level alike.", 0, 20)
    flesh_scale_spread: float = _number(0.25, "How far one body's flesh is from the table's pressure scale.", 0.02, 1)
    stiffening_spread: float = _number(0.5, "How sharply flesh stiffens differs from body to body.", 0.02, 2)
    comfort_spread: float = _number(0.17, "Where it begins to dig is hers, not the table's.", 0.02, 1)
    between_spread_mm: float = _number(5, "Between its levels a body is not the smooth curve through them.", 0.5, 20)
    between_reach_mm: float = _number(35, "Over such a height a body's girth runs alike.", 10, 100)
    beyond_spread_share: float = _number(0.15, "It is known less and less past the last level measured.", 0, 1)
    strip_spread: float = _number(0.002, "A strip under a weight tells of its cloth to this share.", 0.0005, 0.05)
    pass_room_mm: float = _number(10, "A collar with so much more or less room than wished is as wished.", 2, 40)
    room_spread_mm: float = _number(6, "How closely a collar is tied to the room that was wished.", 1, 30)
    ready_share: float = _number(
        0.95,
        "Odds at which the real cloth is cut; where bodies differ from the model, lower ones promise too much.",
        0.5,
        0.999,
    )
    pass_mean_mm: float = _number(12, "A mean gap this near to the wish is as wished.", 3, 40)
    pass_shape_mm: float = _number(12, "Tilt and bow under this pass for straight at arm's length.", 3, 40)

    stand_near_mm: float = _number(5, "A stand this near to the wearer needs nothing done to it.", 1, 30)

    light_pull_n_per_m: float = _number(100, "Laced up, not drawn in.", 20, 400)
    close_pull_n_per_m: float = _number(180, "Drawn in until it holds.", 20, 400)
    firm_pull_n_per_m: float = _number(260, "As hard as one person pulls for an evening.", 20, 400)
    support_light_n_per_m: float = _number(60, "A bodice that only supports, laced lightly.", 10, 200)
    support_close_n_per_m: float = _number(75, "A bodice that only supports.", 10, 200)
    support_firm_n_per_m: float = _number(90, "A bodice that only supports, drawn well closed.", 10, 200)

    planned_pull_n_per_m: float = _number(
        260, "Laced so, each level has its share of the waist's tension; laced harder, more of it.", 20, 400
    )
    share_high_bust: float = _number(0.25, "Holds the edge to the body; breath goes here.", 0, 1)
    share_bust: float = _number(0.25, "Held, not flattened.", 0, 1)
    share_underbust: float = _number(0.4, "Ribs are not to be reshaped: less pull there than at the waist.", 0, 1)
    share_ribs: float = _number(0.4, "As at the underbust.", 0, 1)
    share_high_hip: float = _number(0.6, "Carries the garment; bone lies close under the skin.", 0, 1)
    share_hip: float = _number(0.5, "Enough to lie on, not to squeeze.", 0, 1)
    least_tension_n_per_m: float = _number(15, "Less than this and the edge lifts off.", 0, 60)
    most_give_share: float = _number(0.85, "Past this share of what a level gives, no pull brings more.", 0.5, 0.98)
    seam_cap_mm: float = _number(12, "A seam that moves further in one version changes what the panel is.", 2, 60)
    garment_spread_mm: float = _number(8, "A garment taped inside, gap and all: so far off at a level.", 2, 40)
    seam_keeps_mm: float = _number(6, "So much allowance a seam keeps when a finished garment is let out.", 2, 30)
    plan_hold_mm: float = _number(17, "Planned, the lacing edge holds the body in by so much, or it lifts off.", 0, 40)
    plan_hold_share: float = _number(0.42, "And where flesh gives little, by no more of it: ribs press soon.", 0.05, 1)
    plan_comfort_share: float = _number(0.55, "Plan below what is close but comfortable: bodies differ.", 0.3, 1)

    caution_reduction_new: float = _number(0.10, "Waist reduction that is much for someone new to it.", 0.02, 0.5)
    caution_reduction: float = _number(0.15, "Waist reduction that is much for anyone.", 0.02, 0.5)
    caution_reduction_strong: float = _number(0.20, "Waist reduction to warn of on the sheet as well.", 0.02, 0.5)
    caution_ribs: float = _number(0.03, "Ribs are not to be reshaped.", 0.005, 0.2)

    seam_take_up: float = _number(0.4, "Share of the cloth's thickness that each seam takes up.", 0, 2)
    pad_gives_share: float = _number(0.15, "So far foam and wadding are pressed flat under a garment.", 0, 0.6)
    parallel_mm: float = _number(5, "Less tilt or bow than this looks parallel.", 1, 30)
    stand_off_mm: float = _number(6, "More than this and the garment gapes.", 1, 30)
    worth_changing_mm: float = _number(3, "Less than this round the body, scissors and tape do not hold.", 0.5, 20)
    least_edge_mm: float = _number(0.75, "Less than this at one edge, chalk and shears do not hold.", 0.1, 5)
    change_step_mm: float = _number(0.5, "Amounts to mark come in steps of this.", 0.1, 2)
    friction: float = _number(0.3, "Cloth on cloth on skin.", 0.05, 1)

    stay_pull_n: float = _number(20, "A waist stay is hooked so tight, and can still be breathed in.", 5, 80)

    neck_ease_mm: float = _number(20, "Two fingers must slide under a collar everywhere.", 10, 60)
    neck_pull_n_per_m: float = _number(10, "A collar is laced until it touches, never drawn in.", 1, 30)
    cup_wire_share: float = _number(0.72, "An underwire's width as a share of bust point to bust point.", 0.5, 0.95)
    shoulder_width_mm: float = _number(70, "How far a shoulder piece reaches out from the collar's hem.", 30, 160)

    least_panel_width_mm: float = _number(15, "Narrower, and a panel is all seam allowance.", 8, 60)
    notch_pitch_mm: float = _number(90, "Far enough apart to count, near enough to match.", 40, 200)
    ease_in_mm: float = _number(0.5, "Two seam edges may differ by this after trueing.", 0.1, 5)

    machine_mm: float = _number(5, "What the machine sews through, pressed under its foot.", 1, 20)
    iron_ease_share: float = _number(0.015, "What steam and an iron shrink or stretch into place.", 0, 0.1)
    growth_matters_mm: float = _number(0.5, "Less than this on a panel edge, no scissors cut.", 0.1, 5)
    waist_tape_mm: float = _number(25, "How wide a waist tape is.", 10, 60)
    waist_tape_kn: float = _number(12, "How stiff a waist tape is: newtons for so much, in thousands.", 1, 100)
    tape_band_mm: float = _number(60, "How high a band of cloth a waist tape draws with it.", 10, 200)
    grain_leans_deg: float = _number(2, "A stripe that meets a seam at other angles breaks there.", 0.5, 10)

    binding_mm: float = _number(10, "What shows of a binding.", 3, 40)
    binding_turn_mm: float = _number(15, "Turned in at each end of a binding, a facing or a tape.", 0, 60)
    join_allowance_mm: float = _number(6, "Seam allowance where strips are joined.", 2, 20)
    facing_mm: float = _number(60, "How wide a facing is cut behind what opens the front.", 20, 200)
    modesty_allowance_mm: float = _number(10, "Seam allowance round a modesty panel.", 4, 30)
    loop_mm: float = _number(45, "Tape for one loop in a lacing edge, caught at both ends.", 15, 150)
    separation_mm: float = _number(2, "Between pieces on the cloth, so that scissors pass.", 0, 20)
    thread_per_seam: float = _number(2.8, "A lockstitch takes so much thread to a length of seam.", 1, 8)
    sewing_days: float = _number(10, "Everything has to be here so many days before it is needed.", 1, 200)
    scrap_least_mm: float = _number(120, "A rest in which no circle of this fits is not worth keeping.", 20, 500)
    grain_strict_deg: float = _number(2, "Where a ply carries pull its grain is true to this.", 0, 15)
    grain_free_deg: float = _number(10, "Elsewhere it may lean so far.", 0, 45)

    edge_beam_mm: float = _number(40, "Bones within this of the lacing edge stiffen it.", 15, 80)
    cloth_edge_n_m2: float = _number(0.02, "A folded edge without bones is not quite limp.", 0.001, 1)
    bone_step_mm: float = _number(5, "Bones are cut and sold in steps of this.", 0.5, 20)
    bone_cap_mm: float = _number(1, "What a tip or cap adds at each end.", 0, 5)
    bone_ease_mm: float = _number(1.0, "A bone that must be forced puckers the cloth.", 0, 5)
    channel_step_mm: float = _number(0.5, "Channel widths are marked to this.", 0.1, 5)
    channel_tape_mm: float = _number(0.5, "Thickness of the tape that a channel is sewn under.", 0.1, 3)
    strip_margin_mm: float = _number(2, "From the edge of a channel tape to its first line of stitching.", 0.5, 10)
    strip_turning_mm: float = _number(7, "Turned under at each side of a tape that is cut from cloth.", 0, 20)
    point_clear_mm: float = _number(10, "A channel never runs through the point of a gusset or dart.", 2, 40)
    unboned_mm: float = _number(50, "A wider stretch of cloth without a bone wrinkles.", 20, 200)
    unboned_light_mm: float = _number(65, "In a garment that only supports it may be wider.", 20, 300)
    ready_short_mm: float = _number(15, "A ready-cut bone shorter than this leaves the edge to curl.", 3, 60)
    coil_step_mm: float = _number(500, "What is sold off a coil comes in steps of this.", 10, 5000)
    wire_clear_mm: float = _number(6, "An underwire ends so far from the end of its casing.", 2, 20)
    dip_coats: float = _number(3, "Coats on a dipped end; each dries overnight.", 1, 6)
    spare_bones: float = _number(0, "Bones of the longest length cut to spare, of each kind.", 0, 10)
    busk_clearance_mm: float = _number(10, "From the busk's end to the edge of the garment.", 3, 40)
    busk_loop_ease_mm: float = _number(1, "Each side of a loop, so that it slips through.", 0, 5)
    zip_closes_n_per_m: float = _number(260, "Against a harder pull no hand closes a zip or a busk.", 40, 600)
    hooks_close_n_per_m: float = _number(140, "Against a harder pull hooks bend open one by one.", 20, 600)
    front_opens_mm: float = _number(200, "A front that is laced opens so far with its lace still in.", 40, 600)
    zip_clear_mm: float = _number(5, "A zip or hook ends so far from the edge of the garment.", 0, 30)
    flap_more_mm: float = _number(20, "A flap reaches this much further than what it hides.", 0, 80)
    head_mm: float = _number(570, "A usual head, where nobody measured it.", 450, 700)
    shoulders_share: float = _number(1.17, "Round shoulders and arms, as a share of the chest.", 1, 1.6)
    passing_gives: float = _number(0.03, "What a body gives as it passes through.", 0, 0.15)
    widest_opening_mm: float = _number(450, "A back does not open wider without unthreading.", 100, 900)
    busk_least_sewn_mm: float = _number(6, "A shorter piece of seam does not hold.", 2, 20)

    loop_pair_mm: float = _number(12, "The pull-loop pair straddles the waist by this.", 5, 30)
    waist_rows_mm: float = _number(70, "So far from the waist rows may lie closer.", 20, 200)
    lace_play_mm: float = _number(0.5, "A lace needs this much play in its hole.", 0, 3)
    ribbon_holds_n: float = _number(3, "A narrow ribbon wears through above this pull on a row.", 0.5, 20)
    row_margin_mm: float = _number(20, "Last row to the finished edge: 15 to 25.", 8, 40)
    row_pitch_mm: float = _number(26, "Usual; closer if the pull is hard, wider on light work.", 12, 60)
    flange_clear_mm: float = _number(2, "Bare cloth on both sides of a flange, so that it never sits on a bone.", 0, 8)
    edge_stitch_mm: float = _number(2, "From the fold to the first line of stitching.", 0.5, 10)
    row_pitch_light_mm: float = _number(34, "Light work: the lace only keeps it shut.", 12, 60)
    row_pitch_hard_mm: float = _number(22, "A hard pull is shared by more holes.", 12, 60)
    light_rows_n_per_m: float = _number(70, "Below this pull rows lie wider.", 0, 400)
    hard_rows_n_per_m: float = _number(260, "Above this pull rows lie closer.", 60, 600)
    hole_clear_mm: float = _number(3, "Cloth between two flanges, or it frays from hole to hole.", 0, 20)
    modesty_short_mm: float = _number(10, "It stays out of sight at top line and hem.", 0, 60)
    modesty_margin_mm: float = _number(10, "Its bones end this far from its edges.", 4, 40)
    tape_turning_mm: float = _number(20, "To turn under at both ends of a waist tape.", 0, 60)
    lace_loop_mm: float = _number(450, "A pull loop one hand can wrap and draw.", 0, 1500)
    lace_tail_mm: float = _number(150, "To knot at each end.", 0, 800)
    getting_in_ease_mm: float = _number(40, "To fasten a busk the garment must hang loose by this.", 0, 200)
    modesty_least_mm: float = _number(15, "Under less than this an edge rides off the panel as she moves.", 2, 60)
    modesty_overlap_mm: float = _number(30, "The panel reaches this far under each edge.", 10, 80)
