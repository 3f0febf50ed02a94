"""What is said of mock-ups: fittings, what they teach, the next version and the odds."""

WORST = {
    "mean gap": "the gap is too wide or too narrow",
    "tilt": "the gap is wider at one end",
    "bow": "the gap bows",
    "stand-off": "the edge stands off",
    "pressure": "it presses too firmly",
    "closing": "no hand could close it",
    "top edge": "its top edge has too much room or too little",
    "bottom edge": "its bottom edge has too much room or too little",
}
WAYS = {
    f"{way}{half}": f"{words}{on}"
    for way, words in {"front": "in front", "side": "at the side", "back": "behind"}.items()
    for half, on in {"": "", ".left": " on her left", ".right": " on her right"}.items()
}
TELLS = {
    "a tape over it": "a tape round the laced garment",
    "a second pull": "the gap at a light pull as well",
    "a tape under it": "a tape round her under it",
    "a strip of the cloth": "a strip of the cloth under a weight",
}
_RAISED = ": about {probability:percent} of 100."
_ODDS = "{probability:percent} of 100 would fit if cut now."
_LEFT = (
    " than the seams take at {cap_mm:hardware} each. Make it in two versions, draft it with {panels:.0f} panels in "
    "each half, or move CB."
)

MESSAGES = {
    "unmakeable": "{why}",
    "unsettled": "The lacing did not settle: pull {pull_n_per_m:.0f} N/m, still {off_n:.2g} N out of balance.",
    "collar_close": "At the {level:level} it leaves {room_mm:length} of room, where two fingers need "
    "{wished_mm:length}.",
    "too_firm": "The {level:level} would be pressed with {pressure_kpa:.1f} kPa; {comfort_kpa:.1f} is close but "
    "comfortable.",
    "ribs_squeezed": "The {level:level} would be drawn in by {squeeze_share:percent1} %. Ribs are not to be reshaped: "
    "stay under {limit_share:percent} %.",
    "stands_off": "At the {level:level} the garment would stand off by {stand_off_mm:length} of girth: it gapes there.",
    # fittings
    "upside_down": "The gaps of fitting {fitting:.0f} go with the rest if top and bottom are exchanged: were they "
    "written from the other end? Correct the fitting if so.",
    "reading_contradicts": "In fitting {fitting:.0f} the gap of {read_mm:hardware} at {z_mm:length} does not go with "
    "the rest, which expect {expected_mm:hardware}: read it again.",
    "evenings_apart.wider": "Fittings {earlier:.0f} and {fitting:.0f} are of one version at one pull, and the second "
    "read {apart_mm:hardware} wider. She was not pulled in alike, sat otherwise or was another size that day: lace it "
    "once more, with a tape over it, and correct the fitting that was off.",
    "evenings_apart.narrower": "Fittings {earlier:.0f} and {fitting:.0f} are of one version at one pull, and the "
    "second read {apart_mm:hardware} narrower. The cloth gave, she was pulled in harder, or was another size that day: "
    "lace it once more, with a tape over it, and correct the fitting that was off.",
    "pins_contradict": "In fitting {fitting:.0f} the pins at {z_mm:length}, {read_mm:hardware} from the seam, do not "
    "go with the rest, which expect {expected_mm:hardware}: pin it again there.",
    "word_apart.digs": "In fitting {fitting:.0f} it dug at the {level:level}, more than her girths explain. Look what "
    "digs: a bone's end, an edge, a seam; tape her there again, or slash it until it sits.",
    "word_apart.off": "In fitting {fitting:.0f} it stood off at the {level:level}, though by her girths it lies on. "
    "Touch where, and by how much: then it is taken out there.",
    "stale_version": "Version {version:.0f} goes back to fitting {fitting:.0f}, which was corrected afterwards. What "
    "is believed now is in the change below.",
    "unlaced": "Fitting {fitting:.0f}: it was not laced: gap and pressure meant nothing, so only edges and movement "
    "were taken from it.",
    "poor_mock_up.unboned": "Fitting {fitting:.0f}: it had no bones: what was read counts for less.",
    "poor_mock_up.thin": "Fitting {fitting:.0f}: it was of a cloth much thinner than the final one: what was read "
    "counts for less.",
    "poor_mock_up.unboned_thin": "Fitting {fitting:.0f}: it had no bones and was of a cloth much thinner than the "
    "final one: what was read counts for less.",
    "words_only": "Fitting {fitting:.0f}: no gap was read: words alone say little. Three gaps would say much more.",
    "seams_full.let_out": "At the {level:level} {more_mm:length} more has to be let out" + _LEFT,
    "seams_full.take_in": "At the {level:level} {more_mm:length} more has to be taken in" + _LEFT,
    "mend.panels": "{panels:.0f} panels in each half",
    # what she could not do in it
    "moved_sit.not": "She can't sit in it: the hem at CF comes down on her lap.",
    "moved_sit.hard": "Sitting pushes it up: the hem at CF comes down on her lap.",
    "moved_bend.not": "She can't bend in it: the front is long: a shorter hem at CF frees it.",
    "moved_bend.hard": "Bending is hard: the front is long: a shorter hem at CF frees it.",
    "moved_raise_arms.not": "She can't raise her arms: the top line is high at the side.",
    "moved_raise_arms.hard": "Raising her arms lifts it: the top line is high at the side.",
    "moved_turn_the_head.not": "She can't turn her head: the top line is high at the front.",
    "moved_turn_the_head.hard": "Turning her head is hard: the top line is high at the front.",
    "moved_breathe.not": "She can't breathe deeply in it: loosen it now, and plan less pull over the ribs. Stop at "
    "pain, numbness or breathlessness.",
    "moved_breathe.hard": "A deep breath is hard: loosen it now, and plan less pull over the ribs. Stop at pain, "
    "numbness or breathlessness.",
    "moved_in_alone.not": "She can't get in alone: somebody has to be near whenever she wears it, or the front has to "
    "open.",
    "moved_in_alone.hard": "Getting in alone is hard: somebody has to be near whenever she wears it, or the front has "
    "to open.",
    "moved_out_alone.not": "She can't get out alone: somebody has to be near whenever she wears it, or the front has "
    "to open.",
    "moved_out_alone.hard": "Getting out alone is hard: somebody has to be near whenever she wears it, or the front "
    "has to open.",
    "jaw_digs.front": "Its top edge digs under the jaw: it is too high in front. Her girth is not to blame for it.",
    "jaw_digs.side": "Its top edge digs under the jaw: it is too high at the side. Her girth is not to blame for it.",
    "halves_part": "From version {version:.0f} on the halves differ, as one of them alone was pinned or touched: cut "
    "every piece for left and right apart, and mark which is which.",
    # where it sat
    **{
        f"waist_sat.{way}.{cause}": f"Fitting {{fitting:.0f}}: its waist sat {{off_mm:length}} {words}, and all "
        f"that was read was read there. {why}"
        for way, words, end, other in (
            ("high", "above hers", "bottom", "hip"),
            ("low", "below hers", "top", "ribs"),
        )
        for cause, why in {
            "agree": "It did so at an earlier fitting too: her waist lies otherwise than measured, so move that of the "
            "pattern.",
            "pushed": "It presses most at the {level:level}: let that out, or move the waist of the pattern.",
            "lean": f"It was drawn in first at the {end}: lace it from the waist outward and look again, before "
            "anything is changed.",
            "chosen": "What you chose for it is in the change below.",
            "heights": f"Nothing in the gap explains it: measure again from her waist to the {other}; if that "
            "was right, move the waist of the pattern.",
        }.items()
    },
    "waist_sat.or": "Or, since it sat off her waist:",
    "mend.waist_down": "Move the pattern's waist {by_mm:length} down, with all that lies on it",
    "mend.waist_up": "Move the pattern's waist {by_mm:length} up, with all that lies on it",
    "mend.let_out_level": "Let out the {level:level} by {by_mm:length} at the side",
    "side_seam_hung.front": "Fitting {fitting:.0f}: the side seam hung {off_mm:hardware} to the front: the front is "
    "too narrow and the back too wide by that. The change below moves it back; no girth changes by it.",
    "side_seam_hung.back": "Fitting {fitting:.0f}: the side seam hung {off_mm:hardware} to the back: the back is too "
    "narrow and the front too wide by that. The change below moves it forward; no girth changes by it.",
    # a place that digs
    **{
        f"dug.{cause}": f"Fitting {{fitting:.0f}}: it dug {{way:way}} at the {{level:level}}, where it is pressed with "
        f"{{share:percent}} % of what is comfortable: it is more the place than her girth. {words}"
        for cause, words in {
            "edge_top": "The top line ends there: lower it, or let the seam out under it.",
            "edge_hem": "The hem ends there: raise it, or let the seam out over it.",
            "bone_end": "A bone of the garment ends there: a shorter one, or another kind, lies clear of it.",
            "hip_bone": "Her hip bone lies there, close under the skin: give it room, or a soft pad inside.",
            "rib_edge": "The edge of her ribs lies there: give it room, or a soft pad inside.",
            "bust_root": "The root of the bust lies there: give it room.",
            "seam": "A seam lies there: press its allowances flat, or let it out there.",
            "place": "Look what lies under it; room at the nearest seam helps most of it.",
        }.items()
    },
    "dug.or": "Or, where it digs at the {level:level}:",
    "mend.let_out_there": "Let out {seam} there by {by_mm:hardware}, fading over {reach_mm:length}",
    "mend.edge_there.top": "Lower the top line at {place} by 1 cm",
    "mend.edge_there.hem": "Raise the hem at {place} by 1 cm",
    "mend.softer_bone": "{bone:capital} in {channel}",
    "mend.pad_there": "A pad of {thick_mm:hardware} at the {level:level}, worn under it",
    "mend.shorter_bone": "The bone of {channel} {by_mm:hardware} shorter",
    "ask_lap": "By how much the hem has to rise, her lap tells: measure from her waist to it while she sits.",
    "mend.raise_hem": "Raise the hem at CF by {by_mm:length}",
    "mend.lower_top_at_side": "Lower the top line at the side by {by_mm:length}",
    "mend.lower_top_at_cf": "Lower the top line at CF by {by_mm:length}",
    "mend.less_pull": "Less pull at the {level:level}",
    "mend.busk": "A busk at the front",
    # why there is a next version
    "reason.redrafted": "drafted anew: another kind of garment, or halves that differ",
    "reason.panels": "{panels:.0f} panels in each half instead of {were:.0f}",
    "reason.bigger": "fitting {fitting:.0f}: {level:level} {by_mm:length} bigger than the tape said",
    "reason.smaller": "fitting {fitting:.0f}: {level:level} {by_mm:length} smaller than the tape said",
    **{
        f"reason.{seen}{more}": f"fitting {{fitting:.0f}}: {words}{others}"
        for seen, words in {
            "pinned": "{by_mm:hardware} taken in at {seam}, as pinned",
            "slashed": "{by_mm:hardware} let out at {seam}, as slashed",
            "stood_off": "{by_mm:hardware} taken in at {seam}, where it stood off",
        }.items()
        for more, others in {"": "", ".more": ", and what else was seen"}.items()
    },
    "reason.hung_front": "fitting {fitting:.0f}: the side seam hung {by_mm:hardware} to the front, goes back by that",
    "reason.hung_back": "fitting {fitting:.0f}: the side seam hung {by_mm:hardware} to the back, goes forward by that",
    "reason.fitting": "fitting {fitting:.0f}",
    "reason.by_hand": "changed by hand",
    "reason.edges": "top line or hem moved",
    "reason.gap": "so that the gap comes to {gap_mm:hardware} after the edits by hand",
    "reason.wishes": "measures or wishes changed",
    # what readings cannot tell apart
    "which.body_pull": "A bigger body and a softer pull would read alike here, and so would a smaller one and a harder "
    "pull: each could have moved the gap by {doubt_mm:hardware}. What tells them apart: {tells:tells}.",
    "which.body_cloth": "A bigger body and a cloth that stretches less would read alike here: each could have moved "
    "the gap by {doubt_mm:hardware}. What tells them apart: {tells:tells}.",
    "which.cloth_pull": "A cloth that stretches and a harder pull would read alike here: each could have moved the gap "
    "by {doubt_mm:hardware}. What tells them apart: {tells:tells}.",
    "which.body_cloth_pull": "Her body, the stretch of the cloth and the pull would read alike here: each could "
    "have moved the gap by {doubt_mm:hardware}. What tells them apart: {tells:tells}.",
    # the line over a fitting
    "headline.draft": "A mock-up of the draft",
    "headline.ready": "Version {version:.0f} is ready to try on",
    "headline.unread": "Fitting {fitting:.0f}: no gap was read",
    "headline.pinned": "Fitting {fitting:.0f}: pinned on the line of its seam",
    "headline.met": "It met at the {zero}",
    "headline.inside": "Pinned {off_mm:hardware} inside its seam at the {zero}",
    "headline.apart": "It did not meet by {off_mm:hardware} at the {zero}",
    "headline.laced": "Laced, the gap was {gap_mm:hardware} at the {zero}",
    "headline.mock_up.top": "The mock-up's gap opens {tilt_mm:hardware} more to the top than was foreseen",
    "headline.mock_up.bottom": "The mock-up's gap opens {tilt_mm:hardware} more to the bottom than was foreseen",
    "headline.mock_up.as_foreseen": "The mock-up's gap is {gap_mm:hardware} at the {zero}, as was foreseen",
    "headline.mock_up.wider": "The mock-up's gap is {gap_mm:hardware} at the {zero}, {off_mm:hardware} wider than was "
    "foreseen",
    "headline.mock_up.narrower": "The mock-up's gap is {gap_mm:hardware} at the {zero}, {off_mm:hardware} narrower "
    "than was foreseen",
    "headline.final.top": "The gap opens {tilt_mm:hardware} more to the top than wished",
    "headline.final.bottom": "The gap opens {tilt_mm:hardware} more to the bottom than wished",
    "headline.final.as_foreseen": "The gap is {gap_mm:hardware} at the {zero}, as wished",
    "headline.final.wider": "The gap is {gap_mm:hardware} at the {zero}, {off_mm:hardware} wider than wished",
    "headline.final.narrower": "The gap is {gap_mm:hardware} at the {zero}, {off_mm:hardware} narrower than wished",
    # the one verdict
    "verdict.alter": "Alter the finished garment as below: {probability:percent} of 100 such garments would fit then.",
    "verdict.wear": "Nothing of the finished garment is worth altering: {probability:percent} of 100 like it would "
    "fit.",
    "finished_left.let_out": "At the {level:level} the allowances of the finished garment give all they have, and "
    "{more_mm:length} more would be needed: lace it with a gap that is so much wider, behind a wider modesty panel.",
    "finished_left.take_in": "At the {level:level} {more_mm:length} more would have to come out than the seams take: "
    "lace it with a gap that is so much narrower, or take CB in.",
    "verdict.first": "Cut version 1 for a mock-up.",
    "verdict.try_on": "Try version {version:.0f} on and read the gap.",
    "verdict.try_on.shut": "Try version {version:.0f} on, pinned behind.",
    "verdict.word_apart": "Look again at the {level:level}: how it sat there does not go with the rest.",
    "verdict.waist_sat": "Look again at the waist before the cloth is cut: it did not sit on hers.",
    "verdict.digs_at_place": "Settle first where it digs at the {level:level}: then the cloth can be cut.",
    "verdict.try_on_odds": "Try version {version:.0f} on: {probability:percent} of 100 such garments would fit.",
    "verdict.measure": "Her body, the cloth or the pull? First measure: {tells:tells}.",
    "verdict.one_more": "One more mock-up: of 100 garments cut from version {version:.0f} now {probability:percent} "
    "would fit.",
    "verdict.one_more_proposed": "Make version {version:.0f} and try it on: of 100 garments cut from it now "
    "{probability:percent} would fit.",
    "verdict.look_again": "Look again at the {level:level}: of 100 garments cut from version {version:.0f} now only "
    "{probability:percent} would fit.",
    "verdict.look_again_all": "Look again at what was read: of 100 garments cut from version {version:.0f} now only "
    "{probability:percent} would fit.",
    "verdict.cut": "Cut the cloth from version {version:.0f}: {probability:percent} of 100 such garments would fit.",
    "verdict.make_and_cut": "Make version {version:.0f} and cut the cloth from it: {probability:percent} of 100 such "
    "garments would fit.",
    # the odds
    "odds": _ODDS,
    "odds.fails": _ODDS + " Where it would not, {worst:worst}.",
    "odds.fails_at": _ODDS + " Where it would not, {worst:worst}, most at the {level:level}.",
    "raise.a_reading": "The gap at the {at:level} once more" + _RAISED,
    "raise.one_more_mock-up": "One more mock-up, read at every level" + _RAISED,
    "raise.a_stiffer_mock-up": "One more mock-up with {bone} in its lacing edge" + _RAISED,
    "raise.stiffer_edges": "{bone:capital} at the lacing edge of the final garment" + _RAISED,
    # the next mock-up
    "part.cloth": "{cloth}",
    "part.cloth.why": "firm and cheap: the first changes are of centimetres, not of weave",
    "part.final_cloth": "{cloth}, the final strength layer",
    "part.final_cloth.why": "what is left to learn is how the real cloth stretches: {cloth} is much softer",
    "part.bones_everywhere": "{bone} in all channels",
    "part.bones_at_edge": "{bone} at the lacing edge, cable ties in the other channels",
    "part.bones.why": "without bones the cloth wrinkles, and what is read counts half",
    "part.steel.why": "with {bone} the gap would bow {bow_mm:hardware} and hide what her girths do",
    "part.pinned": "pinned at its gap",
    "part.pinned.why": "a collar is tied, not drawn in",
    "part.pinned_shut": "pinned shut behind, in the line of its seam",
    "part.pinned_shut.why": "it has no lace: where the pins had to go, what stands off and how it sits tell the rest",
    "part.laced": "laced, through a strip with grommets that is basted on",
    "part.laced.why": "pinned shut it would tell nothing of pull and gap; the strip goes from mock-up to mock-up",
    "leave_out.plies": "fashion layer and lining",
    "leave_out.binding": "binding at top line and hem",
    "leave_out.busk": "busk: baste CF shut",
    "leave_out.wires": "wires in the cups",
    "look_at.level": "{level:level_capital}: known to ± {spread_mm:length} only. Read the gap there and tape a girth "
    "over it.",
    "look_at.level.shut": "{level:level_capital}: known to ± {spread_mm:length} only. Look how it sits there and tape "
    "a girth over it.",
    "story.place.in": "{seam} in by {by_mm:hardware}",
    "story.place.out": "{seam} out by {by_mm:hardware}",
    "look_at.place.in": "{seam}, {low_mm:plus_length} to {high_mm:plus_length} from the {zero}, where "
    "{by_mm:hardware} came out: does it lie on now?",
    "look_at.place.out": "{seam}, {low_mm:plus_length} to {high_mm:plus_length} from the {zero}, where "
    "{by_mm:hardware} came in: is there room now?",
    "look_at.two_pulls": "Lace it lightly first and read the gap, then as it is worn, and read it again.",
    "look_at.pins": "Pin it where it comes together at top, waist and hem, and write how far from the line of the "
    "seam the pins are: inside it with a minus.",
    "look_at.movement": "Have her {movement} in it.",
    "look_at.alone": "Have her get in and out alone.",
}
