"""How a change is called in the history, in the maker's words."""

from typing import Any

from fuseau.craft.base.findings import Change

_NAMES = {
    "brief.name": "Name",
    "brief.character": "Character",
    "brief.needed_on": "Day needed",
    "brief.note": "Note",
    "wearer.name": "Wearer",
    "wearer.softness": "Softness",
    "wearer.new_to_lacing": "New to lacing",
    "wearer.waist_to_lap_sitting_mm": "Waist to lap",
    "target.job": "Job",
    "target.closed_waist_mm": "Closed waist",
    "target.reduction_mm": "Reduction",
    "target.reduction_percent": "Reduction",
    "target.gap_mm": "Gap wanted",
    "target.pull": "Pull",
    "draft.panels": "Panels",
    "bones.lacing_edge": "Bones at the lacing edge",
    "bones.seams": "Bones on the seams",
    "bones.beside_busk": "Bones beside the opening",
    "bones.sides": "Bones at the side seam",
    "bones.every_second": "Bones on every second seam",
    "bones.between_seams": "Bones between the seams",
    "bones.curved": "Bones in curves",
    "bones.between": "Channels between the seams",
    "bones.shaped": "Channels drawn",
    "bones.doubled": "Two bones side by side:",
    "bones.made": "Channels",
    "bones.over_gussets": "Bones over the gussets",
    "bones.ends": "Ends of steel",
    "front.line": "Opening at",
    "front.busk": "Own busk",
    "front.flap": "Flap",
    "front.thin": "Thin busk",
    "back.lace": "Lace",
    "back.holes": "Holes",
    "back.pattern": "Laced",
    "back.modesty": "Modesty panel",
    "back.waist_tape": "Waist tape",
    "back.waist_pitch_mm": "Pitch at the waist",
    "back.rows": "Rows of holes",
    "back.top_margin_mm": "First hole below the top",
    "back.bottom_margin_mm": "Last hole above the hem",
    "back.modesty_width_mm": "Modesty panel, wide",
    "back.modesty_height_mm": "Modesty panel, high",
    "layers.method": "Made up:",
    "layers.worn_under_mm": "Worn under it",
    "front.opening": "Front opening",
    "back.pitch_mm": "Pitch of the holes",
}
_PARTS = {
    "wearer": "",
    "draft": "",
    "readings_mm": "",
    "height_front_mm": "height at the front",
    "height_side_mm": "height at the side",
    "height_back_mm": "height at the back",
    "front_arc_mm": "front arc",
    "cf_mm": "at CF",
    "side_mm": "at the side",
    "cb_mm": "at CB",
    "practice": "house number:",
    "by_channel": "in",
    "on_seams": "channel at seam",
    "made_by_channel": "channel",
    "clearance_by_channel": "clear at the bone's ends,",
    "ease_at": "ease at the",
    "target": "",
}


def label_of(changes: list[Change]) -> str:
    """A short label for changes, such as “Gap wanted 4 cm”.

    >>> label_of([Change(at="wearer.high_hip.readings_mm", value=["88"])])
    'High hip 88'
    """
    first = changes[0]
    name = _NAMES.get(first.at) or _spelt(first.at)
    shown = _shown(first.value)
    more = f" and {len(changes) - 1} more" if len(changes) > 1 else ""
    return f"{name} {shown}".strip() + more


def _spelt(at: str) -> str:
    words = [_PARTS.get(part, part.replace("_", " ").removesuffix(" mm")) for part in at.split(".")]
    text = " ".join(word for word in words if word and not word.isdigit())
    return text[:1].upper() + text[1:]


def _shown(value: Any) -> str:
    if value is None:
        return "as suggested"
    if isinstance(value, bool):
        return "yes" if value else "no"
    if isinstance(value, list) and any(isinstance(one, dict) for one in value):
        return ""
    if isinstance(value, list):
        return ", ".join(map(_shown, value)) or "taken out"
    if isinstance(value, dict):
        return ""
    return f"{value:g}" if isinstance(value, float) else str(value).replace("_", " ")[:60]
