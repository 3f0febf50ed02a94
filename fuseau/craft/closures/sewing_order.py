"""In which order what opens the front is sewn in (handbook, on busks, zips and hooks)."""

from fuseau.craft.base.findings import Message, message
from fuseau.craft.closures.choices import OpeningKind


def sewing_order(kind: OpeningKind, line: str, *, thin: bool = False) -> tuple[Message, ...]:
    """The steps that sew in what opens on a line; a `thin` busk has a steel put beside it before the halves meet."""
    if kind == "busk":
        steps = ["face", "loop_side", "loops", "knob_side", "knob_stitch", *(["thin"] if thin else []), "join"]
        return tuple(message(f"order.busk.{step}") for step in steps)
    if kind in ("zip", "hidden zip"):
        steps = ["sew", *(["below"] if kind == "hidden zip" else []), "back", "hook", "bones"]
        return tuple(message(f"order.zip.{step}", line=line) for step in steps)
    if kind == "hooks":
        return tuple(message(f"order.hooks.{step}", line=line) for step in ("face", "eyes", "bone"))
    if kind == "lacing":
        return tuple(message(f"order.lacing.{step}") for step in ("edges", "modesty", "holes"))
    return ()
