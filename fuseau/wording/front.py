"""What is said of the front: what opens it, how it is sewn, and how she gets in."""

OPENINGS = {
    "lacing": "lacing in front",
    "busk": "busk",
    "zip": "separating zip",
    "hidden zip": "hidden zip",
    "hooks": "hooks and eyes",
}

_SHORTEST = "; the shortest sold is {shortest_mm:hardware}."
_CF_LEAVES = "CF is {cf_mm:length} long and leaves {room_mm:hardware}"
_MIND_BUSK = " It can stay closed in front: she then gets in by the lacing. Hooks and eyes, or lacing, fit any length."
_OWN_TOO_LONG = _CF_LEAVES + "; this busk is {shortest_mm:hardware}."
_NONE_SHORT_ENOUGH = _CF_LEAVES + " for a busk" + _SHORTEST
_GUESSED = " (her shoulders are a guess: measure round them, arms down)"
_STAYS_CLOSED = "It stays closed below: a zip that does not separate gives no more room at the hem."
_HIPS, _HEAD = "Up over the hips: ", "Over the head and shoulders: "
_YES, _ONLY_IF = "it goes as it is laced", "the back has to open to {gap_mm:length}"
_NARROW = "no. {passes_mm:length} would have to pass, and where it stays closed it has {narrowest_mm:length}"
_NO = "no. {passes_mm:length} would have to pass, and the back to open to {gap_mm:length}"

MESSAGES = {
    "no_busk_fits.busk.own_too_long": _OWN_TOO_LONG + _MIND_BUSK,
    "no_busk_fits.busk.none_short_enough": _NONE_SHORT_ENOUGH + _MIND_BUSK,
    "no_way_in": "Nothing opens far enough for her to get into it, and the back is not laced.",
    "hard_to_close": "At its tightest the {opening:opening} would be closed against {pull_n_per_m:.0f} N per metre; "
    "{most_n_per_m:.0f} is what a hand manages. Laced behind it could be drawn in, or it reduces less.",
    "hard_to_close.never": "Closed edge to edge it is smaller than she can be squeezed: no hand closes the "
    "{opening:opening}. It needs a new version, or a lace behind.",
    "mend.laced_behind": "Laced behind",
    "not_alone.shut": "She has to get in alone, and nobody closes her own back well: open it in front or at the side.",
    "thin_busk": "A thin busk bows at the waist: a flat steel beside it on each side holds it straight.",
    "not_alone": "She has to get in alone, and nobody tightens a back alone that is laced without pull loops.",
    # mends
    "mend.no_opening": "No opening in front",
    "mend.zip_behind": "A separating zip behind",
    "mend.steel_beside_busk": "Flat steel beside the busk",
    "mend.pull_loops": "Pull loops at the waist",
    # the busk
    "busk.otherwise": "No busk: the front closes otherwise.",
    "busk.own_too_long": _OWN_TOO_LONG,
    "busk.none_short_enough": _NONE_SHORT_ENOUGH,
    "busk.own_fits": "The one measured leaves {clear_mm:hardware} clear at both ends of a CF of {cf_mm:length}.",
    "busk.longest_sold": "The longest sold that leaves {clear_mm:hardware} clear at both ends of a CF of "
    "{cf_mm:length}.",
    "busk.longest_sold.next": "The longest sold that leaves {clear_mm:hardware} clear at both ends of a CF of "
    "{cf_mm:length}. The next, of {longer_mm:hardware}, wants a CF that is {more_mm:hardware} longer.",
    "bought.busk": "split busk, {length_mm:hardware}, {studs:.0f} studs",
    "bought.thin_busk": "split busk, {length_mm:hardware}, {studs:.0f} studs, thin",
    "order.busk.face": "Face or bag out both front panels along CF; mark the studs on both.",
    "order.busk.loop_side": "Loop side: sew CF in stretches, backstitched at both ends, and leave a hole for every "
    "loop.",
    "order.busk.loops": "Push the loops through from between the plies, lay the busk hard into the seam, and stitch "
    "close beside it with the zip foot.",
    "order.busk.knob_side": "Knob side: make each hole with the awl, between the threads, and push the knobs through "
    "from the wrong side; close both halves to see that they meet.",
    "order.busk.knob_stitch": "Stitch close beside the knob side too, by hand-wheel near the metal.",
    "order.busk.thin": "Sew a channel for the flat steel beside it on each side: a thin busk bows without.",
    "order.busk.join": "Only now join the front panels to the others.",
    "caution.busk": "The busk goes in before the panels are joined. Wear eye protection when sewing beside it: needles "
    "break.",
    # what opens
    "opening.busk": "A busk of {length_mm:hardware}",
    "opening.no_busk_fits": "No busk fits",
    "opening.none": "No opening in front",
    "opening.none.why": "The front stays closed.",
    "opening.zip": "A separating zip of {length_mm:hardware}",
    "opening.hidden_zip": "A hidden zip of {length_mm:hardware}",
    "opening.hooks": "{count:.0f} hooks and eyes",
    "opening.lacing": "Laced in front",
    "opening.lacing.why": "Two flat bones and a row of holes on each side of CF, as behind: the wearer can dress "
    "alone.",
    "bought.twice": "both of them twice, one for each half",
    # zips
    "zip.as_sold": "As long as its line, and sold so.",
    "zip.own": "The one of her own.",
    "zip.shortened.top": "Shortened by {cut_mm:hardware} at its top, with a new stop on each side: a separating zip is "
    "never cut at its lower end.",
    "zip.shortened.bottom": "Shortened by {cut_mm:hardware} at its lower end to {opens_mm:hardware}, with a new stop "
    "sewn over the teeth. " + _STAYS_CLOSED,
    "zip.longest_sold": "The longest sold is {lacks_mm:hardware} shorter than its line: hooks and eyes close the rest.",
    "bought.zip": "separating zip, {length_mm:hardware}",
    "bought.hidden_zip": "hidden zip, {length_mm:hardware}",
    "order.zip.sew": "Sew the zip into its seam ({line}) while both panels still lie flat; baste it first.",
    "order.zip.below": "Sew the seam below the zip from its stop to the hem.",
    "order.zip.back": "Back the tape with the waist tape or a strip of the strength layer: a zip must not carry the "
    "pull alone.",
    "order.zip.hook": "A hook and eye at the waist, inside, takes the strain while it is drawn up.",
    "order.zip.bones": "Bones lie clear of the tape on both sides.",
    "caution.zip": "A zip under strain can burst or jam, and one behind or at the side is slow. In an emergency the "
    "laces are cut first; if there are none, cut the cloth beside the zip.",
    # hooks and eyes
    "hooks.pitch": "Every {pitch_mm:hardware}, the last as near to both edges as it goes.",
    "bought.hooks": "{count:.0f} hooks and eyes, or {tape_mm:length} of tape with them on",
    "order.hooks.face": "Face both edges of {line}; one reaches under the other.",
    "order.hooks.eyes": "Sew the eyes first, then set each hook to meet its eye, hooked up.",
    "order.hooks.bone": "A bone close behind the hooks on each side keeps the edge from gaping between them.",
    "caution.hooks": "Hooks hold a garment that is not drawn in hard; under a firm pull they bend open one by one.",
    # laced in front
    "order.lacing.edges": "Both edges of CF are made as the lacing edge behind: fold, bone, holes, bone.",
    "order.lacing.modesty": "The modesty panel goes in front as well, sewn to one side.",
    "order.lacing.holes": "Set the holes after the last fitting, both sides level.",
    "caution.lacing": "Lace in small steps from both ends; never draw the front harder than the back.",
    # ways in
    "way.busk.loops": "In by the busk: open the lace to {gap_mm:length} behind, close the studs from the second up, "
    "draw the loops at the waist.",
    "way.busk.helper": "In by the busk: open the lace to {gap_mm:length} behind, close the studs from the second up, "
    "have a helper lace the back.",
    "way.laced_front": "Laced in front: the front opens altogether; with the back at {gap_mm:length} both laces stay "
    "in.",
    "way.opening.loops": "In by the {opening:opening} {line:line}: open the lace to {gap_mm:length} behind, close it "
    "from the hem up, draw the loops at the waist.",
    "way.opening.helper": "In by the {opening:opening} {line:line}: open the lace to {gap_mm:length} behind, close it "
    "from the hem up, have a helper lace the back.",
    "way.apart": "In by the {opening:opening} {line:line}: it comes apart altogether, and closes from the hem up.",
    "way.apart.behind": "In by the {opening:opening} {line:line}, which comes apart altogether. Awkward alone: a "
    "helper, or a cord through the pull.",
    "way.apart.neck": "Round the neck by the {opening:opening} {line:line}, which comes apart altogether.",
    "way.apart.lacing": "By the front, which is laced alone: unlaced it goes round her, and she draws it in "
    "herself. With the lace left in it has to open to {gap_mm:length}.",
    "way.as_it_is.up_over_the_hips.yes": f"{_HIPS}it goes as it is.",
    "way.as_it_is.up_over_the_hips.no": f"{_HIPS}{_NARROW}.",
    "way.as_it_is.over_the_head.yes": f"{_HEAD}it goes as it is.",
    "way.as_it_is.over_the_head.no": f"{_HEAD}{_NARROW}.",
    "way.as_it_is.over_the_head.yes.guessed": f"{_HEAD}it goes as it is{_GUESSED}.",
    "way.as_it_is.over_the_head.no.guessed": f"{_HEAD}{_NARROW}{_GUESSED}.",
    "way.up_over_the_hips.yes": f"{_HIPS}{_YES}.",
    "way.up_over_the_hips.only_if": f"{_HIPS}{_ONLY_IF}.",
    "way.up_over_the_hips.no": f"{_HIPS}{_NO}.",
    "way.over_the_head.yes": f"{_HEAD}{_YES}.",
    "way.over_the_head.only_if": f"{_HEAD}{_ONLY_IF}.",
    "way.over_the_head.no": f"{_HEAD}{_NO}.",
    "way.over_the_head.yes.guessed": f"{_HEAD}{_YES}{_GUESSED}.",
    "way.over_the_head.only_if.guessed": f"{_HEAD}{_ONLY_IF}{_GUESSED}.",
    "way.over_the_head.no.guessed": f"{_HEAD}{_NO}{_GUESSED}.",
    "way.round_the_neck": "Laid round the neck from the front: the back has to open to {gap_mm:length}, or the lace "
    "comes out. Nobody reaches the back of her own neck well: have a helper, and shears at hand.",
    "way.collar_over_head": "Over the head: {passes_mm:length} has to pass, so the back has to open to "
    "{gap_mm:length}.",
    "way.collar_over_head.guessed": "Over the head: {passes_mm:length} (a usual head: measure hers) has to pass, so "
    "the back has to open to {gap_mm:length}.",
}
