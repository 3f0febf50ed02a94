"""A dress stand beside the wearer: where it must be padded or the garment pinned out, and where it ends (model, 2)."""

import math
from typing import Annotated, Literal

from fuseau.craft.base.findings import Finding, finding
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Record, Text
from fuseau.craft.pattern.pattern import EdgeLine
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.measures import LEVEL_LABELS, LEVELS, LevelName

StandGirth = Annotated[float, Length("a stand's girth", 300, 2000)] | None
Reach = Annotated[float, Length("how far the stand reaches", 20, 700)] | None


class Stand(Record):
    """A dress stand: its girths at the wearer's levels, and how far it reaches above and below its waist, mm."""

    name: Annotated[str, Text(80)] = ""
    high_bust_mm: StandGirth = None
    bust_mm: StandGirth = None
    underbust_mm: StandGirth = None
    ribs_mm: StandGirth = None
    waist_mm: StandGirth = None
    high_hip_mm: StandGirth = None
    hip_mm: StandGirth = None
    above_waist_mm: Reach = None
    below_waist_mm: Reach = None

    def girth(self, name: LevelName) -> float | None:
        """The stand's girth at a level, if it was measured."""
        found: float | None = getattr(self, f"{name}_mm", None)
        return found


class Padding(Record):
    """What to do to the stand at one level: pad it by so much of girth, in a layer so thick, or pin out."""

    name: LevelName
    label: str
    stand_mm: float
    wearer_mm: float
    change_mm: float
    layer_mm: float
    kind: Literal["pad", "pin out", "as it is"]


def padding(stand: Stand, body: Body, near_mm: float) -> tuple[Padding, ...]:
    """Wearer minus stand at each level that the stand was measured at, from the top down.

    Within `near_mm` the stand is near enough. The layer is the padding's thickness all round, change/2π.
    """
    found = []
    for name in LEVELS:
        girth = stand.girth(name)
        if girth is None or name not in body:
            continue
        change = body[name].girth_mm - girth
        found.append(
            Padding(
                name=name,
                label=LEVEL_LABELS[name],
                stand_mm=girth,
                wearer_mm=body[name].girth_mm,
                change_mm=change,
                layer_mm=max(0.0, change) / (2 * math.pi),
                kind="as it is" if abs(change) <= near_mm else "pad" if change > 0 else "pin out",
            )
        )
    return tuple(found)


def check_stand(stand: Stand, padded: tuple[Padding, ...], top: EdgeLine, hem: EdgeLine) -> list[Finding]:
    """Where the stand is bigger than the wearer, and where it is too short to carry the pattern."""
    name = stand.name or "stand"
    findings = [
        finding(
            "stand_bigger",
            "wearer",
            "advice",
            where=level.label,
            numbers={"change_mm": level.change_mm},
            level=level.name,
            stand=name,
            bigger_mm=-level.change_mm,
        )
        for level in padded
        if level.kind == "pin out"
    ]
    highest, lowest = max(top.heights()), -min(hem.heights())
    for reach, wanted, end, way in (
        (stand.above_waist_mm, highest, "top edge", "above"),
        (stand.below_waist_mm, lowest, "hem", "below"),
    ):
        if reach is not None and reach < wanted:
            findings.append(
                finding(
                    "stand_too_short",
                    "wearer",
                    "caution",
                    where=end.capitalize(),
                    numbers={"reach_mm": reach, "wanted_mm": wanted},
                    stand=name,
                    end=end,
                    way=way,
                )
            )
    return findings
