"""What is said of target, draft and pattern."""

MESSAGES = {
    "more_than_a_pull": "It is drafted as you asked. Laced as hard as one person pulls ({pull_n_per_m:.0f} N per "
    "metre), the gap at the waist will be {gap_mm:length}, not {wished_mm:length}; to close it to that takes "
    "{needed_n_per_m:.0f}.",
    "more_than_it_gives": "It is drafted as you asked. Laced as hard as one person pulls ({pull_n_per_m:.0f} N per "
    "metre), the gap at the waist will be {gap_mm:length}, not {wished_mm:length}, and no lace closes it to that: the "
    "waist does not give so much.",
    "waist_firm": "The waist would be pressed with {pressure_kpa:.1f} kPa, where {comfort_kpa:.1f} is close but "
    "comfortable: little is in hand.",
    "waist_firm.over": "The waist would be pressed with {pressure_kpa:.1f} kPa; {comfort_kpa:.1f} is close but "
    "comfortable.",
    "pull": "This waist settles at a pull of about {pull_n_per_m:.0f} N per metre of lacing, where “{word}” is "
    "{wished_n_per_m:.0f}.",
    "reduction": "A reduction of {reduction_share:percent} % ({reduction_mm:length}) is much for {who}: "
    "{limit_share:percent} % is the caution limit. Stop and loosen at pain, numbness or breathlessness. Fuseau gives "
    "no medical advice; the choice is yours and the wearer's.",
    "hem_on_lap": "Sitting, the lap is {lap_mm:length} below the waist and the hem {hem_mm:length}: it would push up.",
    "top_above_measures": "The top line lies {over_mm:length} above the {level:level}, where no girth is measured: it "
    "goes straight on from there.",
    "meets_jaw": "The top line stands {top_mm:length} above the neck base and the jaw begins at {jaw_mm:length}: it "
    "would press under the jaw or ear.",
    "on_body.no_pattern": "There is no pattern yet: this is she, as she is measured.",
    "on_body.no_version": "There is no such version.",
    "on_body.cups": "Its cups lie on her even round here: their depth does not show.",
    "on_body.deep": "What hangs deeper is shown for {mm:length} only.",
    "on_body.turn": "Turn her by 360° at the most.",
    "on_body.unsettled": "This version can't be laced on her: it finds no balance.",
    "on_body.unmeasured": "Measure her first: her girths make her figure.",
    "shoulder.collar": "It reaches {out_mm:length} out and lies over {lap_mm:hardware} of “{strap}” of {other}, of the "
    "same wearer: worn together, try both on at once.",
    "below_collarbone": "In front the collar ends {below_mm:length} below the collarbone, where no girth is measured.",
    "girth_far_off.small": "At the {level:level} this pattern measures {sewn_mm:length} closed, the wearer "
    "{body_mm:length}: was a panel forgotten, or only a quarter typed?",
    "girth_far_off.big": "At the {level:level} this pattern measures {sewn_mm:length} closed, the wearer "
    "{body_mm:length}: were seam allowances typed in with the widths?",
    # mends
    "seam_uneven": "Before trueing the two sides of seam {seam} differ by {off_mm:hardware}: one of them takes too "
    "much in. More panels share it.",
    "seam_uneven.behind": "Before trueing the two sides of seam {seam} differ by {off_mm:hardware}: too few panels "
    "behind, so that one edge takes in all of the back.",
    "by_hand.in": "Taken in by hand, {changed_mm:length} at the {level:level}: laced as planned, the gap comes to "
    "{gap_mm:length} where {wished_mm:length} was wished. It stays as you made it.",
    "by_hand.out": "Let out by hand, {changed_mm:length} at the {level:level}: laced as planned, the gap comes to "
    "{gap_mm:length} where {wished_mm:length} was wished. It stays as you made it.",
    "by_ease.out": "With {changed_mm:length} of room asked for at the {level:level}, the gap comes to {gap_mm:length} "
    "where {wished_mm:length} was wished, {tilt_mm:hardware} wider at one end.",
    "by_ease.in": "Squeezed by {changed_mm:length} at the {level:level} as asked, the gap comes to {gap_mm:length} "
    "where {wished_mm:length} was wished, {tilt_mm:hardware} wider at one end.",
    "mend.lace_it": "Lace it {word}",
    "mend.reduce_less": "Plan {percent:g} % instead",
    "mend.hem_at": "Hem at {height_mm:length}",
    "mend.top_at": "Top at {height_mm:length}",
    # pieces traced off a drawing
    "traced.missing": "Panel {panel} is missing: number them 1 to {count}.",
    "traced.named_twice": "Panel {panel} is named twice: number them 1 to {count}.",
    "traced.crosses_itself": "The outline of panel {panel} crosses itself.",
    "traced.no_waistline": "Panel {panel} has no waistline: set it across the piece.",
    "traced.same_piece": "Panels {panel} and {other} are the same piece: was one traced twice, or another forgotten?",
    "traced.mirrored": "The two sides of seam {seam} differ by {off_mm:length}, measured from the waist. Panel {panel} "
    "fits if it is mirrored.",
    "traced.upside_down": "The two sides of seam {seam} differ by {off_mm:length}, measured from the waist. Panel "
    "{panel} fits if it is upside down.",
    "traced.turned_round": "The two sides of seam {seam} differ by {off_mm:length}, measured from the waist. Panel "
    "{panel} fits if it is turned round by half.",
    "traced.another_panel": "The two sides of seam {seam} differ by {off_mm:length}, measured from the waist. It is "
    "probably another panel.",
    # what came and went between two versions
    "insert.gusset.new": "gusset in seam {seam} from the {end}, {width_mm:hardware} wide and {depth_mm:hardware} deep: "
    "new",
    "insert.gusset.gone": "gusset in seam {seam} from the {end}, {width_mm:hardware} wide and {depth_mm:hardware} "
    "deep: gone",
    "insert.slash.new": "gusset slashed into panel {panel:.0f} from the {end}, {width_mm:hardware} wide and "
    "{depth_mm:hardware} deep: new",
    "insert.slash.gone": "gusset slashed into panel {panel:.0f} from the {end}, {width_mm:hardware} wide and "
    "{depth_mm:hardware} deep: gone",
    "insert.dart.new": "dart in panel {panel}, {width_mm:hardware} wide: new",
    "insert.dart.gone": "dart in panel {panel}, {width_mm:hardware} wide: gone",
    "insert.joined.new": "seam {seam} stitched as a dart: new",
    "insert.joined.gone": "seam {seam} stitched as a dart: gone",
    "insert.left_half.new": "left half of its own: new",
    "insert.left_half.gone": "left half of its own: gone",
    "insert.allowance.new": "allowance of {width_mm:hardware} at seam {seam}: new",
    "insert.allowance.gone": "allowance of {width_mm:hardware} at seam {seam}: gone",
}
