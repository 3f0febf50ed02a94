"""Why a field can't be read as it was written: a sentence for each code of the records' own checks."""

MESSAGES = {
    # text, numbers, days
    "text.unprintable": "This holds a character that can't be printed: type it again without it.",
    "text.long": "This has {count:.0f} characters; {most:.0f} are the most.",
    "text.short": "Write something here.",
    "amount.beyond": "{what:capital} goes from {low:g} to {high:g}.",
    "day.year": "The year {year:.0f} can't be right: write all four digits, 1900 to 2199.",
    # lengths
    "length.unread": "{said}",
    "length.kind": "{what:capital} is a length in mm.",
    "length.far_beyond": "That is far more than {what} can be.",
    "length.beyond": "{given_mm:length} can't be right for {what}: {low_mm:bare} to {high_mm:length}.",
    "length.beyond.hardware": "{given_mm:hardware} can't be right for {what}: {low_mm:bare_hardware} to "
    "{high_mm:hardware}.",
    # measures and wishes
    "measures.order": "At the {side}, the {far:level} ({far_mm:length} from the waist) has to lie further from the "
    "waist than the {near:level} ({near_mm:length}).",
    "target.ribs": "Ribs are not to be reshaped: at the {level:level} {most:percent} % of the waist's tension is the "
    "most.",
    "target.waist_ease": "What the waist has is said above.",
    "level.twice": "This level is told twice. Keep one.",
    "level.uncovered": "A {kind} does not cover the {level:level_capital}.",
    # materials
    "cloth.narrow": "Between its selvedges {label} leaves nothing to cut from.",
    "cloth.unknown": "There is no cloth called “{name}” in the catalogue.",
    "bone.material": "What it is made of is one of: {known}.",
    "bone.lengths": "Which lengths is {label} sold in?",
    "bone.unknown": "There is no kind of bone called “{name}” in the catalogue.",
    "busk.studs": "Where are its studs? Measure each from the top end.",
    "busk.stud_beyond": "A stud at {stud_mm:hardware}, with a loop of {loop_mm:hardware}, is beyond the end of a busk "
    "of {length_mm:hardware}.",
    "busk.studs_close": "Studs at {upper_mm:hardware} and {lower_mm:hardware} leave too little between their loops: "
    "from the top down, {least_mm:hardware} apart at least.",
    "entry.called": "This entry is called {name}, and says it is {says}.",
    "strip.stretch": "That is {share:percent} % longer: no cloth for a boned garment stretches more than "
    "{most:percent} %. Measure between the marks, not the whole strip.",
    # plies
    "ply.nowhere": "Over which panels? A ply lies on one panel at least.",
    "plies.no_strength": "Which ply carries the pull? One of them is the strength ply.",
    "plies.two_strengths": "Two strength plies: one is what is measured and carries the pull. Make the other an "
    "interlining.",
    "plies.strength_round": "The strength ply goes all round: every panel has it.",
    "plies.order": "From the skin out a {role} does not lie outside a {inside}.",
    "plies.over": "Only what lies outside the strength ply can be laid over it.",
    # bones, trims, steps
    "channel.up": "A channel goes up from point to point, by 5 mm at least.",
    "channel.twice": "There are two channels {channel}.",
    "line.seam": "Say along which seam.",
    "line.channel": "Say along which channel.",
    "line.short": "A line needs two points at least.",
    "line.ends": "It has to end after where it begins.",
    "area.short": "An area needs three points at least.",
    "area.one_panel": "An area lies on one panel: draw one for each.",
    "chain.sag": "Say how far it sags, or how long it is: one of the two.",
    "chain.short": "It is shorter than its span: it does not reach.",
    "trims.numbered": "Two trims have one number.",
    "step.twice": "“{step}” is named twice.",
    "steps.numbered": "Two steps of your own have one number.",
    # the shelf
    "stock.outline": "Only a piece of cloth has an outline.",
    "stock.long": "How long is it?",
    "stock.wide": "How wide is it between its selvedges?",
    "stock.each": "Write down each piece of cloth by itself.",
    "stock.flaw": "Only a piece of cloth has places to keep clear of.",
    "outline.short": "An outline has three points at least.",
    "outline.crosses": "This outline crosses itself: go round the edge in one direction.",
    "outline.crosses_near": "This outline crosses itself, near {x_mm:bare} and {y_mm:length}: go round the edge in one "
    "direction.",
    "outline.small": "This outline is smaller than a thumb: nothing is cut from it.",
    "shelf.numbered": "Two pieces on the shelf have one number.",
    "reserved.gone": "This is not on the shelf any more.",
    "reserved.twice": "This is reserved for the same build already.",
    "shelf.taken": "Of {label} there is {amount:.0f}, and others have reserved of it: so much is not left.",
    "shelf.taken.length": "Of {label} there is {amount:length}, and others have reserved of it: so much is not left.",
    # fittings
    "versions.numbered": "The pattern versions are not numbered 1, 2, 3 …",
    "fitting.version": "There is no version {version:.0f} that could have been tried on.",
    "fitting.says_nothing": "A fitting needs the gap at three heights at least (top, waist and bottom), or how it sat, "
    "in words.",
    "said.twice": "This is said twice. Keep one.",
    "reading.outside": "{z_mm:length} is outside the lacing edge, which goes from {low_mm:length} to {high_mm:length}.",
    "reading.below_zero": "Laced edges leave no gap below zero: where they meet write 0, or say that it was pinned.",
    "reading.twice": "There are two readings at {z_mm:length}: {gap_mm:hardware} and {other_mm:hardware}. Keep one.",
    "pull.twice": "Both lacings were pulled {pull}: pull one of them otherwise, or say how.",
    "pull.wrong_way": "Pulled {lighter} the gap was {lighter_mm:hardware} and pulled {harder} {harder_mm:hardware}: a "
    "lighter pull leaves the wider gap. One of them is written down the other way round.",
    "tap.uncovered": "The garment does not cover her there: at the {view} it goes from {low_mm:length} to "
    "{high_mm:length}.",
    "pinch.short": "A pinch runs over a centimetre at least: say where it begins and ends.",
    "pinch.twice": "This place is pinned twice. Keep one, with all that was pinned there.",
    "pinch.both": "This place is pinned in and slashed open. Keep what it was in the end.",
    "pinch.straight": "{edge} lies straight, on the fold or along what opens it: nothing is pinned there. Pin the seam "
    "beside it.",
    "pinch.no_seam": "Version {version:.0f} has no seam {seam}.",
    "pinch.off": "That is off the garment, which goes from {low_mm:length} to {high_mm:length}.",
    "pinch.most": "The panels at {seam} hold no more than {most_mm:hardware} there.",
}
