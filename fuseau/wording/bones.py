"""What is said of channels and bones."""

MESSAGES = {
    "soft_edges": "With {bone} at the lacing edge the gap bows {bow:hardware}; {stiff} brings it to {mended:hardware}.",
    "channel_too_short": "The channel {channel} is {path_mm:hardware} long: too short for a bone.",
    "ready_cut_short": "In {channel} there is room for {room_mm:hardware}; the longest {bone} that fits is "
    "{length_mm:hardware}, {short_mm:hardware} short.",
    "ready_cut_short.none": "In {channel} there is room for {room_mm:hardware}; {bone} is sold no shorter than "
    "{shortest_mm:hardware}.",
    "bone_longer_than_sold": "Channel {channel} takes a bone of {length_mm:hardware}, and {bone} is sold no longer "
    "than {longest_mm:hardware}. Take another kind, lap two pieces clear of the waist, or end the channel sooner.",
    "bone_wont_bend": "The channel {channel} bends to a radius of {radius_mm:length}, at {z_mm:length}; {bone} follows "
    "{least_mm:length} at the tightest, and would twist or wear through.",
    "channel_in_allowances": "A channel in the allowances of {channel} lies beside the seam, not on it: one allowance "
    "is its casing.",
    "lacing_edge_too_wide": "The lacing edge needs {needs_mm:hardware} from the fold to the last line of stitching; "
    "panel {panel:.0f} is {narrowest_mm:hardware} at its narrowest.",
    "channel_lost": "There are {panels:.0f} panels now: the channels {channels} have none to lie on.",
    "unboned": "Panel {panel:.0f} has {wide_mm:hardware} of cloth without a bone at {z_mm:length}; more than "
    "{limit_mm:hardware} wrinkles.",
    "clash.wider_than_panel": "The channel {channel} is wider than panel {panel:.0f} at its narrowest.",
    "clash.dart": "The channel {channel} runs through a dart, or past its point.",
    "clash.leaves_panel": "The channel {channel} leaves panel {panel:.0f}.",
    "clash.behind": "The channel {channel} runs into what closes the back.",
    "clash.lacing_edge": "The channel {channel} runs into the lacing edge.",
    "clash.front": "The channel {channel} runs into what closes the front.",
    "clash.channel": "The channel {channel} meets the channel {other}.",
    # mends
    "mend.no_bone_in": "No bone in {channel}",
    "mend.leave_out": "Leave {channel} out",
    "mend.cut_to_length": "{what:capital}, cut to length, in {channel}",
    "mend.bone_in": "{what:capital} in {channel}",
    "mend.beside_seam": "{channel}: beside the seam, toward CB",
    "mend.at_lacing_edge": "{what:capital} at the lacing edge, one in each channel",
    "mend.stiff_edges": "{what:capital} at the lacing edge",
    "mend.forget": "Forget {channels}",
    "mend.add_channel": "Add a channel, {channels}",
    "mend.add_channels": "Add channels, {channels}",
    "mend.channel_on_seam": "A channel on seam {seam}",
    "mend.over_gussets": "Bones over the gussets",
    "mend.no_bone_beside": "No bone beside {seam}",
    "mend.on_seam": "{seam}: on the seam",
    "mend.move_clear": "Move {channel} clear of it",
    # in a cup, and in section
    "cup_boning": "Woven boning is sewn through the cup's seam; the wire goes into its casing, and the binding of the "
    "top line closes it in.",
    "section.edge": "The lacing edge, from the fold inward",
    "section.between_plies": "Between the plies, stitched through",
    "section.in_the_allowances": "In the seam allowance, stitched to the shell",
    "section.inside_tape": "Under a tape inside",
    "section.seam_opened": "A seam, pressed open",
    "section.seam_turned": "A seam that encloses itself",
    "section.seam_lapped": "A seam, lapped and topstitched",
    "section.outside_tape": "Under a tape outside, which shows",
}
