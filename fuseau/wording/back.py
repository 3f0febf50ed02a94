"""What is said of the back: holes, lace, the lacing walked, what lies behind."""

MESSAGES = {
    "lace_too_thick": "{lace:capital} hardly runs through a hole of {hole_mm:hardware}, and must pass it again to be "
    "undone.",
    "ribbon_wears": "A narrow ribbon wears through where a row carries {carries_n:.1f} N.",
    "holes_tear": "The hardest pulled row carries {carries_n:.1f} N; a {hole} holds some {holds_n:g} N. It may tear "
    "out: take a stronger kind, or set them closer.",
    "no_waist_tape": "Without a waist tape the cloth itself carries the pull at the waist, and stretches there.",
    "modesty_narrow": "A modesty panel of {wide_mm:length} reaches only {under_mm:hardware} under each edge where the "
    "gap is widest.",
    "modesty_narrow.shows": "A modesty panel of {wide_mm:length} is narrower than the gap where that is widest.",
    "mend.modesty_width": "{wide_mm:length} wide",
    "mend.take": "{what:capital}",
    "mend.waist_tape": "A waist tape",
    "modesty.floating": "It lies loose behind the lace: stiffened, it stays where it is put.",
    "modesty.sewn": "One long side is sewn into the lacing edge, behind the inner bone; the other lies free.",
    "modesty.hung": "It hangs on the lace by loops near its top and at the waist, and moves with it.",
    "waist_tape": "In the layers, on the waistline, caught in every seam; it goes in before the layer that hides it, "
    "and stops short of the front bone so that it doesn't show.",
    # the lacing, walked
    "lace.halve": "Halve the lace. Row 1: one end out through the left hole,",
    "lace.other_end": "the other out through the right, so that the middle lies straight across.",
    "lace.loop": "Row {row:.0f}: the end that is on the {side} makes a pull loop, and goes in again below.",
    "lace.cross": "Row {row:.0f}: the {end} across to the {side}, out from inside.",
    "lace.cross_over": "Row {row:.0f}: the {end} over it to the {side}, out from inside.",
    "lace.knot": "Knot the lace inside the left hole of row 1, and out through it.",
    "lace.slant": "Down on the slant, out through the {side} hole of row {row:.0f}.",
    "lace.across": "Straight across, in through the {side} hole of row {row:.0f}.",
}
