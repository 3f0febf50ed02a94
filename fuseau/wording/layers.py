"""What is said of plies and methods."""

MESSAGES = {
    "cloth.grew": "{cloth:capital} gave with wear in {builds}: here the gap would close by some {closes_mm:hardware}, "
    "from {gap_mm:hardware} to {leaves_mm:hardware}.",
    "cloth.grew.mend": "Plan a gap of {gap_mm:hardware}",
    "ply_off_panels": "{cloth:capital} is meant for panel {lost}, and there are {panels:.0f} panels.",
    "ply_overloaded": "{cloth:capital} would carry {carries_n:.0f} N a metre of height; {holds_n:.0f} is what it "
    "holds for an evening. It creeps, or gives way at the seams.",
    "not_a_strength_cloth": "{cloth:capital} is not made to carry the pull: as a strength ply it gives, or tears "
    "beside its seams.",
    "fuse_burns": "{fusible:capital} fuses at {fuses_c:.0f} °C; {cloth} bears {bears_c:.0f}. Try it on a scrap, or "
    "sew it on.",
    "thin_floating_lining": "{cloth:capital} is thin for a lining that hangs loose: it stretches as it is sewn, "
    "unless it is interfaced.",
    "ply_grows": "{cloth:capital} lies outside: cut each edge of it {edge_mm:hardware} wider, "
    "{grows_mm:hardware} all round.",
    "ply_shrinks": "{cloth:capital} lies inside: cut each edge of it {edge_mm:hardware} narrower, "
    "{grows_mm:hardware} all round.",
    "seam_too_thick": "At a seam the machine meets {plies:.0f} plies, {mm:.1f} mm pressed; it takes {most_mm:.1f}. "
    "Grade the allowances, or sew that place by hand.",
    "hole_too_thick": "At a hole there are {plies:.0f} plies, {mm:.1f} mm; the shank reaches through {most_mm:.1f}. "
    "Leave a ply out of the fold, or take longer ones.",
    "stiff_to_turn": "A shell of {mm:.1f} mm is slow to turn through an opening, and creases.",
    "overlay_puckers": "{cloth:capital} in one piece puckers over {seam}: {opening_mm:hardware} at {z_mm:length}, "
    "which asks {needed:percent1} %; it gives {gives:percent1}.",
    "overlay_eased": "{cloth:capital} in one piece lies over {seam} with ease and the iron: it asks "
    "{needed:percent1} % at {z_mm:length}, and gives {gives:percent1}.",
    "thin_fashion": "{cloth:capital} is thin for what shows: it stretches and warps as it is sewn, unless it is "
    "interfaced.",
    "nothing_to_match": "{cloth:capital} has no repeat to match: write it down if it has, or leave it.",
    "breaks_at_seams": "A stripe of {cloth} does not meet itself all along {seams}: the edges lean apart there.",
    # methods: what is good, and what to mind
    "method.good.channels_between_the_plies": "Few steps, and nothing loose inside.",
    "method.mind.channels_between_the_plies": "Stitching shows outside; seams are bare inside.",
    "method.good.flat_lined_outside_channels": "Fast: all plies are sewn once, and channels cover the seams.",
    "method.mind.flat_lined_outside_channels": "Every line of stitching and every tape shows.",
    "method.good.flat_lined_inside_channels": "Clean outside; tapes cover the seams inside.",
    "method.mind.flat_lined_inside_channels": "Two lines of stitching show at each channel.",
    "method.good.floating_lining": "Covers everything inside.",
    "method.mind.floating_lining": "The lining can creep; it goes in after the bones.",
    "method.good.sandwich": "No raw edge anywhere.",
    "method.mind.sandwich": "The order matters, and it hardly lets out.",
    "method.good.lapped_and_topstitched": "Very strong, and flat.",
    "method.mind.lapped_and_topstitched": "Stitching shows as on jeans; a seam can't be let out.",
    "method.good.base_with_an_overlay": "No stitching on the outside; good for many bones.",
    "method.mind.base_with_an_overlay": "The hem stays open until the bones are in.",
    "method.good.bagged_out": "Quick edges without a binding.",
    "method.mind.bagged_out": "Stiff cloth turns slowly; one edge stays open for the bones.",
    # pieces
    "piece.frill": "for {name}",
    "piece.pad": "for the {name}",
    "piece.mirrored": "cut {count:.0f}, mirrored",
    "piece.right": "cut {count:.0f}, for the right half",
    "piece.left": "cut {count:.0f}, for the left half",
    "piece.one": "cut {count:.0f}",
    "piece.strips": "cut {count:.0f} on the bias, to be joined",
    "piece.flap": "cut {count:.0f}, folded along its length",
    "piece.facing": "cut {count:.0f}: behind both fronts",
    # ways out where a cloth is not enough
    "way.open": "Lay it open, not on the fold",
    "way.open.cost": "Each piece is traced by itself.",
    "way.allowance": "Seam allowances of {now_mm:hardware} instead of {had_mm:hardware}",
    "way.allowance.cost": "It can be let out by less, and frays nearer to the seam.",
    "way.grain": "Let go of the grain of the {role}",
    "way.grain.cost": "It carries nothing, but hangs otherwise, and gives up to {gives:.0f} % on the bias.",
    "way.join": "A join in panel {panels} of the {role}, at {z_mm:length} from the waist",
    "way.join.cost": "{minutes:.0f} minutes more, and a ridge where it lies; the layers over it hide it.",
    "way.facing": "The facing of {cloth}",
    "way.facing.cost": "It shows where the front stands open.",
    "way.modesty": "The face of the modesty panel of {cloth}",
    "way.modesty.cost": "It shows in the gap.",
    "way.binding": "The binding of {cloth}",
    "way.binding.cost": "Both edges look otherwise.",
    "way.joins": "The binding in {joins:.0f} joins, in strips of {each_mm:length} between the pieces",
    "way.joins.cost": "{joins:.0f} slanting joins, each a little thicker in the edge.",
    "way.hem": "The hem {by_mm:hardware} higher",
    "way.hem.cost": "Another version of the pattern: less covers the hip.",
    "way.top": "The top line {by_mm:hardware} lower",
    "way.top.cost": "Another version of the pattern: less covers the bust.",
    # mends
    "mend.interline": "Put {cloth} under it",
    "mend.cloth": "{cloth:capital} for it",
    "mend.ply_panels": "Only on panels that are there",
    "mend.flat_line": "Sew {cloth} on instead",
    "mend.by_panels": "Cut {cloth} by panels",
}
