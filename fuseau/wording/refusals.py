"""Why something can't be made, kept or taken: a sentence for each code that an error carries."""

MESSAGES = {
    # pattern
    "too_many_panels": "With so many panels one would be narrower than {least_mm:hardware}: use fewer panels.",
    "edges_meet": "The edges of panel {panel:.0f} would meet: use fewer panels.",
    "needs_no_cups": "The bust is hardly fuller than the underbust: this front needs no cups.",
    "top_below_waist": "The top line has to lie above the waist, by 1 cm at least.",
    "hem_above_waist": "The hem has to lie below the waist, by 1 cm at least.",
    "top_point_below_waist": "A point of the top line lies below the waist: 1 cm above it at least.",
    "hem_point_above_waist": "A point of the hem lies above the waist: 1 cm below it at least.",
    "gusset_too_wide": "The gusset in seam {seam} is wider than its slit is deep.",
    "slash_too_short": "The gusset in panel {panel:.0f} is wider than its slash is deep.",
    "slash_already": "Panel {panel:.0f} is slashed from the {end} already.",
    "panel_has_slash": "Panel {panel:.0f} is slashed for a gusset: take that out first.",
    "one_has_slash": "One of the two panels is slashed for a gusset: take that out first.",
    "gusset_nowhere": "A gusset is let into a seam, or slashed into a panel.",
    "cannot_join": "Seam {seam} can't be a dart: its edges touch over {held_mm:hardware} only, {least_mm:hardware} at "
    "the least.",
    "no_panel_behind": "There has to be a panel behind the side seam.",
    "change_too_large": "From this version to these measures, seam {seam} would change by {change_mm:length}: "
    "{most_mm:length} at one edge is the most of an alteration. Check the girths, or begin a new build.",
    "levels_cross": "At the {side}, the {outer:level} ({outer_mm:length}) has to lie further out than the "
    "{inner:level} ({inner_mm:length}), by half a centimetre at least.",
    "levels_cross_usual": "At the {side}, the {outer:level} ({outer_mm:length}) has to lie further out than the "
    "{inner:level} ({inner_mm:length}), by half a centimetre at least. The height of the {usual:level} was not "
    "measured there: it is taken from the others.",
    "pattern_lacks_seam": "This pattern has no seam {seam}.",
    # edits by hand
    "no_such_seam": "This pattern has seams 1·2 to {last}.",
    "no_such_panel": "This pattern has panels 1 to {last:.0f}.",
    "no_such_level": "This pattern has no {level:level}.",
    "no_such_insert": "There is no such {what}.",
    "point_taken": "Another point of the line lies there already.",
    "no_point_there": "There is no point to take out there: CF, side and CB stay.",
    "most_panels": "Nine panels in each half are the most.",
    "fewest_panels": "Two panels in each half are the fewest.",
    "panel_has_dart": "Panel {panel:.0f} has a dart: take it out first.",
    "one_has_dart": "One of the two panels has a dart: take it out first.",
    "side_seam_stays": "The side seam stays: it parts front and back.",
    "seam_has_gusset": "Seam {seam} has a gusset: take it out first.",
    "gusset_already": "Seam {seam} has a gusset from the {end} already.",
    "gusset_too_deep": "The gusset would be deeper than the garment: {most_mm:hardware}.",
    "dart_too_short": "A dart is 2 cm long at least, and its widest place lies between its ends.",
    "trimmed_away": "That leaves less than {least_mm:hardware} of panel {panel:.0f}: {most_mm:hardware} can be trimmed "
    "off at the most.",
    "panel_too_narrow": "Panel {panel:.0f} would be {width_mm:hardware} wide at {z_mm:length} from the waist: "
    "{least_mm:hardware} at the least.",
    "as_read": "{reason}",
    # plies
    "cut.no_such_cloth": "Nothing is cut from this cloth.",
    "plies.one_carries": "One ply carries the pull already. Make the other an interlining.",
    "plies.carries": "The strength ply stays: it is measured and carries the pull. Choose another cloth for it.",
    "plies.no_such": "There is no such ply, or no place for it there.",
    # shelf, scraps and the cutting table
    "shelf.gone": "This is not on the shelf any more.",
    "shelf.reserved": "{label:capital} is reserved by a build: let go of it there first.",
    "shelf.none_left": "Of {label} nothing is left that is not reserved.",
    "shelf.changed": "{label:capital} has changed on the shelf since: lay it out again.",
    "shelf.rest_used": "What was left of {label} has been used or reserved since: put that back first.",
    "shelf.cut_there": "This was done as something was cut: say at the cutting table, or at the bones, that it is not.",
    "cut.laid_otherwise": "It is laid otherwise now than you saw it: look at it once more.",
    "shelf.no_order": "There is no such order.",
    "shelf.not_waiting": "This order is not under way any more.",
    "shelf.more_came": "More of {label} can't have come than was ordered.",
    "shelf.due_before": "It can’t be here before today: on which day does it come?",
    "shelf.which_shop": "From which shop?",
    "shelf.no_such_shop": "{shop} does not deal in this.",
    "shelf.how_many": "How many? Write a number.",
    "scrap.three_points": "Go round the scrap: it has three corners at least.",
    "scrap.which_grain": "Mark two points along the grain: along the selvedge, or a thread you can follow.",
    "print.nothing_laid": "Nothing is laid on this cloth yet.",
    "cut.pinned_off": "{piece:capital} would lie off its cloth, or over a flaw, there.",
    "cut.pinned_over": "{piece:capital} would lie over {other} there.",
    "cut.pinned_twice": "{piece:capital} is put down more often than it is cut.",
    "cut.is_done": "This cloth is cut already.",
    "cut.not_done": "This cloth is not cut yet.",
    # typed and traced
    "typed.no_waist": "Type the widths at the waist: the waistline is where the panels meet.",
    "typed.widths_missing": "The {level:level} has {here:.0f} widths where the first level has {first:.0f}: every "
    "panel needs one at every level.",
    "typed.twice": "The {level:level} is typed twice.",
    "traced.corners_meet": "Two corners of panel {panel:.0f} lie on the same spot.",
    "traced.corners_out_of_order": "The corners of panel {panel:.0f} are not in order round it.",
    "traced.four_corners": "A panel needs four corners: top and hem, CF side and CB side.",
    "traced.measures_first": "The measures come first: the levels of the pattern are hers.",
    # the room
    "demo.not_started": "The demo workshop does not start: try it from the command line, “fuseau demo”.",
    "room.no_network": "This machine is in no network now: other devices can’t find it.",
    "room.port_taken": "Port {port:.0f} is in use: start Fuseau on another one with --port.",
    "room.closed": "Open the room first: then a device can be let in.",
    "room.no_folder": "In the data folder lies a file called “room”, where the room’s folder has to be: move it away.",
    "room.silent": "The room does not answer at port {port:.0f}: it stays closed. Try it again, or start Fuseau on "
    "another port with --port.",
    "room.out_for_now": "This device is out, but the disk takes nothing more: after a restart it would be let in "
    "again. Make room, then look at this list once more: it is kept then.",
    "room.no_device": "This device is not let in any more.",
    # photo
    "photo.no_scale": "Mark two points a known distance apart, or the four corners of a rectangle.",
    "photo.how_long": "How long is that, measured?",
    "photo.how_high": "How high is the rectangle?",
    "photo.marks_meet": "These marks lie on each other: the further apart, the better they measure.",
    "photo.corners_in_turn": "Mark the corners in turn: top left, top right, bottom right, bottom left.",
    "photo.no_waist": "Mark where the waist crosses the gap: heights are counted from there.",
    "photo.no_rows": "Mark both edges of the gap, at three heights at least.",
    "photo.edges_exchanged": "The left edge is marked to the right of the right one: exchange them.",
    # front and back
    "busk.sewn_too_short": "Only {sewn_mm:hardware} of CF would be sewn above the stud at {stud_mm:hardware}.",
    "opening_behind_lacing": "The back is laced: nothing else can open there. Say on the back's page that it is not "
    "laced.",
    "opening.line_too_short": "This line is {line_mm:length} long: too short for a zip or hooks.",
    "opening.ends_meet": "On a line of {line_mm:length} that leaves nothing to open: {most_mm:hardware} at the most.",
    "zip.longer_than_line": "A zip of {zip_mm:length} is longer than what is there for it: {room_mm:length}.",
    "zip.shorter_than_ends": "Between the ends that are wished there are {room_mm:length}: a zip of {zip_mm:length} "
    "does not fill them.",
    "hooks.too_many": "{count:.0f} hooks would lie closer than {apart_mm:hardware}: {most:.0f} at the most.",
    "no_opening_seam": "There is no seam {line}: there are {panels:.0f} panels in each half.",
    "clearance_too_much": "Channel {channel} is {path_mm:hardware} long: with {clear_mm:hardware} clear at both ends "
    "no bone is left. {most_mm:hardware} at the most.",
    "rows.pair": "Pull loops need a pair of holes at the waist: two rows on each side at the least.",
    "rows.margin_past_waist": "That is past the pair of holes at the waist: {most_mm:hardware} from the edge at the "
    "most.",
    "rows.margins_meet": "Both margins together are more than the edge, which is {edge_mm:length} long: "
    "{most_mm:hardware} at the most here.",
    "rows.too_many": "{rows:.0f} rows on each side would leave no cloth between their flanges, which need "
    "{apart_mm:hardware} from hole to hole: {most:.0f} rows at the most.",
    "rows.and_pitch": "{rows:.0f} rows {pitch_mm:hardware} apart are more or fewer than this edge takes: {fit:.0f} "
    "rows so far apart, or {rows:.0f} that are {apart_mm:hardware} apart.",
    "rows.pitch_and_margins": "{rows:.0f} rows {pitch_mm:hardware} apart don't end at the margins that are wished: "
    "{apart_mm:hardware} apart they would.",
    "rows.pitch_and_margin": "Rows {pitch_mm:hardware} apart don't end {margin_mm:hardware} from the edge: "
    "{closer_mm:hardware} or {wider_mm:hardware} apart they do.",
    "rows.too_close": "Holes {pitch_mm:hardware} apart leave no cloth between their flanges: {least_mm:hardware} from "
    "hole to hole at the least.",
    "modesty.too_wide": "A modesty panel of {wide_mm:length} is wider than the back, which is {most_mm:length} from "
    "side to side.",
    "modesty.too_high": "A modesty panel of {high_mm:length} is higher than the back, which is {most_mm:length}.",
    "back_too_short": "The back is too short for a pair of holes at the waist.",
    # fields
    "not_by_hand": "This is not changed by hand.",
    "no_such_entry": "There is no such entry.",
    "no_such_field": "There is no such field.",
    # versions
    "version.first_is_cut": "Version 1 is cut already; changes make the next version.",
    "version.measures_first": "There is no pattern yet: the measures come first.",
    "version.nothing_to_accept": "There is no change to accept: the pattern is as it should be.",
    "version.none_to_go_back_to": "There is no version {version:.0f} to go back to.",
    "version.present_already": "Version {version:.0f} is the present one already.",
    "version.none": "There is no version {number:.0f}.",
    "version.none_drawn_on": "There is no version that is still drawn on.",
    "version.typed_measures_first": "The measures come first: the levels of the widths are hers.",
    "version.refit_measures_first": "The measures come first: the pattern is refitted to them.",
    "version.other_has_none": "“{other}” has no pattern yet.",
    "version.none_to_compare": "There are no such versions to compare.",
    "kinds_differ": "“{other}” is a {theirs}, this is a {this}: make them alike first.",
    "line.no_change": "There is no change to edit: the pattern is as it should be.",
    "line.no_such": "The change has no such line.",
    # fittings, bones, rehearsals
    "fitting.no_such": "There is no fitting {fitting:.0f} to correct.",
    "bones.none_to_cut": "There are no bones to cut yet: the pattern comes first.",
    "rehearsal.none": "This is no rehearsal: it has a wearer of its own.",
    "rehearsal.nothing_to_lace": "There is nothing yet that could be laced on the stand.",
    "rehearsal.no_version": "There is no version yet that the cloth could be cut from.",
    "rehearsal.cannot_lace": "The stand can't be laced into this garment at all.",
    # pictures and prints
    "picture.here_already": "This picture is here already.",
    "picture.most": "{most:.0f} pictures are the most for one brief: take one out first.",
    "print.measures_first": "There is no pattern to print yet: the measures come first.",
    "print.no_bones": "There are no bones to print yet.",
    "print.no_holes": "Nothing is laced: there are no holes to punch.",
    "print.no_opening": "Nothing opens in front: there is no strip to print.",
}
