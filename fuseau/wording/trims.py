"""What is said of trims and of what hangs from the garment."""

MESSAGES: dict[str, str] = {
    "trim.motif_size": "Write a size between 5 and 600 mm.",
    "trim.no_edges": "Mark the waist across on the same picture, or its top line and hem from edge to edge: they tell "
    "where it lies.",
    "trim.beside": "It lies beside the garment on the picture.",
    "trim.none": "There is no such trim any more.",
    "thread.no_trims": "none",
    "thread.trim": "1 trim",
    "thread.trims": "{count:.0f} trims",
    "trim.begins_past": "It would begin past the end of this line, which is {length_mm:length} long.",
    "trim.no_seam": "There is no such seam: this half has {count:.0f} panels.",
    "trim.no_channel": "There is no channel “{channel}” on this half.",
    "trim.no_panel": "There is no panel {panel:.0f}.",
    "trim.off_panel": "It lies off panel {panel:.0f}.",
    "trim.leaps": "It leaps from panel {panel:.0f} to panel {other:.0f}: set a point on each panel between.",
    "trim.crosses_itself": "The outline crosses itself.",
    "trim.no_room": "Nothing of this lies free on panel {panel:.0f}: channels, holes and seams take it.",
    "trim.too_little": "{length_mm:length} of cloth does not even go once along {along_mm:length}.",
    "trim.narrow": "{cloth:capital} is too narrow for a strip with its seams.",
    "trim.deep": "That is deeper than the cloth is wide, {usable_mm:length}: cut it across.",
    "trim.circle_wide": "No piece of this circle comes out of a cloth {usable_mm:length} wide: the least is "
    "{wide_mm:length}. Make it shorter, or a smaller part of a circle.",
    "trim.circle_long": "This circle takes {needed_mm:length} of the cloth.",
    "trim.short.pieces": "{short:.0f} pieces are lacking.",
    "trim.short.length": "{short:length} are lacking.",
    "trim.skimpy": "{fullness:.1f} times as full looks skimpy; from 1.5 on it reads as a frill.",
    "motif.no_room": "There is room for {room:.0f} between the hardware, and {count:.0f} are wanted. Fewer panels or a "
    "smaller motif leave more.",
    "frill.uncut": "{cloth:capital} was cut before this was put on, so that its pieces are not cut. Take that back "
    "on the table, or choose another cloth.",
    "skirt.opens": "It opens at {opens}, the bodice at {bodice}: they have to line up, or she can’t get in.",
    "skirt.opens.nowhere": "It opens nowhere, and the bodice opens at {bodice}: sewn on, it shuts that.",
    "strap.no_front": "In front the top line is {most_mm:length} long.",
    "strap.no_back": "Behind the top line is {most_mm:length} long.",
    "strap.no_way": "Say how far it is over the shoulder, or how high the shoulder lies above the waist.",
    "strap.no_arm": "A band round the arm needs the girth of the arm.",
    "strap.guessed": "Its length follows from where the shoulder lies, not from the tape: cut it long, and pin it at "
    "the fitting.",
    "shoulder.strap": "The {piece} of {other}, of the same wearer, reaches {out_mm:length} out and lies over "
    "{lap_mm:hardware} of its {wide_mm:hardware}: worn "
    "together, leave nothing hard on it there, and try both on at once.",
    "shoulder.strap.mend": "Put it {out_mm:length} out, and tape the way anew",
    "hold.slips": "It slips: {kilos:.1f} kg weigh {weight_n:.0f} N, and it holds {holds_n:.0f} N.",
    "hold.barely": "It only just holds: {kilos:.1f} kg weigh {weight_n:.0f} N, and it holds {holds_n:.0f} N.",
    "hold.own_band": "Let the skirt hang from a band of its own, and hook the bodice onto it.",
    "hold.stay": "A waist stay: a tape inside, hooked round the waist before the rest is closed, at some "
    "{pull_n:.0f} N.",
    "hold.straps": "Two straps, each of which then carries some {each_n:.0f} N.",
}
