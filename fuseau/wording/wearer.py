"""What is said of the wearer and of the stand."""

MESSAGES = {
    "measure": "Measure the {levels}: then the pattern can be drafted.",
    "guessed": "{level:level_capital} not measured: {girth_mm:length} is taken, between its neighbours.",
    "guessed.told": "{level:level_capital} not measured: fittings tell some {girth_mm:length}, ± {spread_mm:length}.",
    "proportion": "Check the {level:level}: {girth_mm:length} is unusual beside a {beside:level} of {beside_mm:length} "
    "(usually {least_mm:bare} to {most_mm:length}).",
    "readings_disagree": "The readings of the {level:level} differ by {apart_mm:length}: measure it again.",
    "arcs_differ": "At the {level:level} front and back arc make {arcs_mm:length}, the girth is {girth_mm:length}: one "
    "of the three is off.",
    "stand_bigger": "At the {level:level} the {stand} is {bigger_mm:length} bigger than the wearer: pin that much out "
    "of the garment, nothing can be taken off the stand.",
    "stand_too_short": "The {stand} ends {reach_mm:length} {way} the waist; the pattern goes {wanted_mm:length}, so "
    "its {end} hangs free there.",
}
