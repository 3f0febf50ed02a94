"""The wearer as measured: levels, readings, heights, and how soft she is (model, section 2; handbook 3.2).

Lengths are mm. Torso heights are taken from the waist along the body, those of the neck from its base.
"""

import math
from typing import Annotated, Literal

from pydantic import Field, model_validator

from fuseau.craft.base.findings import Finding, finding
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record, Text, at_field

LevelName = Literal[
    "upper_neck",
    "neck_base",
    "collarbone",
    "high_bust",
    "bust",
    "underbust",
    "ribs",
    "waist",
    "high_hip",
    "hip",
]
SeenLevel = LevelName | Literal["shoulders"]
Softness = Literal["lean", "average", "soft"]
Zero = Literal["waist", "neck_base"]

LEVEL_LABELS: dict[LevelName, str] = {
    "upper_neck": "Upper neck",
    "neck_base": "Neck base",
    "collarbone": "Collarbone",
    "high_bust": "High bust",
    "bust": "Bust",
    "underbust": "Underbust",
    "ribs": "Ribs",
    "waist": "Waist",
    "high_hip": "High hip",
    "hip": "Hip",
}
SEEN_LABELS = dict[SeenLevel, str]([("shoulders", "Shoulders"), *LEVEL_LABELS.items()])  # as on a picture
HOW_TO_MEASURE: dict[LevelName, str] = {
    "upper_neck": "Just under the jaw and chin, head level; two fingers slide under the tape.",
    "neck_base": "Where a necklace lies, over the hollow in front and the bone behind: all neck heights start from it.",
    "collarbone": "Over the collarbones and the tops of the shoulders, where the collar is to end.",
    "high_bust": "High under the arms, over the top of the bust, level behind.",
    "bust": "Over the fullest place, in what will be worn under it, arms down.",
    "underbust": "Snug under the bust, level all round, breath out.",
    "ribs": "Over the lowest ribs, between underbust and waist.",
    "waist": "Where the body bends to the side. Tie a cord there and leave it on: all heights start from it.",
    "high_hip": "Over the top of the hip bones.",
    "hip": "Round the widest place, standing with feet together.",
}
LEVELS: tuple[LevelName, ...] = tuple(LEVEL_LABELS)  # from the top down
NECK: tuple[LevelName, ...] = ("upper_neck", "neck_base", "collarbone")
TORSO: tuple[LevelName, ...] = ("underbust", "ribs", "waist", "high_hip", "hip")
FULL_TORSO: tuple[LevelName, ...] = ("high_bust", "bust", *TORSO)
ZERO_LABELS: dict[Zero, str] = {"waist": "waist", "neck_base": "neck base"}

# From a zero line outward: which level lies beyond which.
WAYS_OUT: tuple[tuple[LevelName, ...], ...] = (
    ("ribs", "underbust", "bust", "high_bust"),
    ("high_hip", "hip"),
    ("upper_neck",),
    ("collarbone",),
)
LEAST_APART_MM = 5.0  # two levels closer than this are one place to a tape
SIDES: tuple[Literal["front", "side", "back"], ...] = ("front", "side", "back")


def zero_of(level: LevelName) -> Zero:
    """The line from which a level's heights are taken."""
    return "neck_base" if level in NECK else "waist"


def sign_of(level: LevelName) -> int:
    """+1 for a level above its zero line, −1 below it, 0 on it."""
    if level in ("waist", "neck_base"):
        return 0
    return -1 if level in ("high_hip", "hip", "collarbone") else 1


class Zone(Record):
    """How a zone gives (share of the girth, by softness) and the pressure that is close but comfortable."""

    lean: float = Field(gt=0, lt=0.5)
    average: float = Field(gt=0, lt=0.5)
    soft: float = Field(gt=0, lt=0.5)
    comfort_kpa: float = Field(gt=0, le=20)
    width_to_depth: float = Field(ge=1, le=2.5)
    front_share: float = Field(ge=0.35, le=0.65)

    def give(self, softness: Softness) -> float:
        """The share c by which a girth in this zone can give."""
        return float(getattr(self, softness))


def _zone(give: tuple[float, float, float], comfort: float, ratio: float, front: float) -> Zone:
    lean, average, soft = give
    return Zone(lean=lean, average=average, soft=soft, comfort_kpa=comfort, width_to_depth=ratio, front_share=front)


class Zones(Record):
    """Workshop starting values by level; fittings refine them."""

    upper_neck: Zone = _zone((0.015, 0.02, 0.03), 0.5, 1.1, 0.50)
    neck_base: Zone = _zone((0.015, 0.02, 0.03), 0.5, 1.1, 0.50)
    collarbone: Zone = _zone((0.015, 0.02, 0.03), 0.5, 1.35, 0.50)
    high_bust: Zone = _zone((0.03, 0.04, 0.05), 2.5, 1.45, 0.51)
    bust: Zone = _zone((0.04, 0.06, 0.08), 2.0, 1.45, 0.55)
    underbust: Zone = _zone((0.03, 0.04, 0.06), 2.5, 1.35, 0.52)
    ribs: Zone = _zone((0.03, 0.04, 0.06), 2.5, 1.35, 0.51)
    waist: Zone = _zone((0.10, 0.13, 0.16), 4.0, 1.35, 0.50)
    high_hip: Zone = _zone((0.05, 0.06, 0.08), 3.0, 1.4, 0.49)
    hip: Zone = _zone((0.04, 0.05, 0.07), 3.0, 1.4, 0.48)

    def __getitem__(self, name: LevelName) -> Zone:
        return getattr(self, name)


Girth = Annotated[float, Length("this girth", 400, 2000)]
Rise = Annotated[float, Length("this height", 10, 400)]
NeckGirth = Annotated[float, Length("this girth", 220, 900)]
NeckRise = Annotated[float, Length("this height", 10, 160)]


class Level(Record):
    """A named height where a girth is taken. Heights are distances from the zero line along the body, in mm."""

    readings_mm: tuple[Girth, ...] = Field(default=(), max_length=12)
    unconfirmed: bool = Field(default=False, description="A number sent by a client, not confirmed.")
    height_front_mm: Rise | None = None
    height_side_mm: Rise | None = None
    height_back_mm: Rise | None = None
    front_arc_mm: Annotated[float, Length("a front arc", 150, 1200)] | None = Field(
        default=None, description="The part of the girth in front of the side seams."
    )
    back_arc_mm: Annotated[float, Length("a back arc", 150, 1200)] | None = Field(
        default=None, description="The part of the girth behind the side seams."
    )
    left_more_mm: Annotated[float, Length("how much more the left half has", -80, 80)] | None = Field(
        default=None, description="Left half of the girth less right half, CF to CB."
    )


class NeckLevel(Level):
    """A level of the neck; its heights go from the base of the neck."""

    readings_mm: tuple[NeckGirth, ...] = Field(default=(), max_length=12)
    height_front_mm: NeckRise | None = None
    height_side_mm: NeckRise | None = None
    height_back_mm: NeckRise | None = None
    front_arc_mm: Annotated[float, Length("a front arc", 80, 600)] | None = None
    back_arc_mm: Annotated[float, Length("a back arc", 80, 600)] | None = None


class Wearer(Record):
    """Who wears it: girths and heights as read, and how soft she is."""

    name: Annotated[str, Text(80)] = ""
    softness: Softness = "average"
    new_to_lacing: bool = True
    waist_to_lap_sitting_mm: Annotated[float, Length("waist to lap", 60, 350)] | None = None
    bust_points_mm: Annotated[float, Length("bust point to bust point", 80, 400)] | None = None
    head_mm: Annotated[float, Length("round the head", 450, 700)] | None = None
    shoulders_mm: Annotated[float, Length("round the shoulders, arms down", 600, 2000)] | None = None
    upper_neck: NeckLevel = NeckLevel()
    neck_base: NeckLevel = NeckLevel()
    collarbone: NeckLevel = NeckLevel()
    high_bust: Level = Level()
    bust: Level = Level()
    underbust: Level = Level()
    ribs: Level = Level()
    waist: Level = Level()
    high_hip: Level = Level()
    hip: Level = Level()

    def __getitem__(self, name: LevelName) -> Level:
        return getattr(self, name)

    @model_validator(mode="after")
    def _heights_in_order(self) -> "Wearer":
        for way in WAYS_OUT:
            for side in SIDES:
                field = f"height_{side}_mm"
                known = [(name, getattr(self[name], field)) for name in way if getattr(self[name], field) is not None]
                for (near, inner), (far, outer) in zip(known, known[1:], strict=False):
                    if outer <= inner + LEAST_APART_MM:
                        levels = {"far": far, "far_mm": outer, "near": near, "near_mm": inner}
                        raise at_field(f"{far}.{field}", "measures.order", side=side, **levels)
        return self


# --- what to check ---------------------------------------------------------------------------------------

_PROPORTION: dict[tuple[LevelName, LevelName], tuple[float, float]] = {
    ("upper_neck", "neck_base"): (0.75, 1.05),
    ("collarbone", "neck_base"): (1.05, 2.2),
    ("high_bust", "underbust"): (0.98, 1.4),
    ("bust", "underbust"): (1.0, 1.5),
    ("bust", "waist"): (1.0, 1.8),
    ("underbust", "waist"): (0.95, 1.45),
    ("ribs", "waist"): (0.95, 1.4),
    ("high_hip", "waist"): (1.0, 1.55),
    ("hip", "waist"): (1.05, 1.75),
    ("hip", "underbust"): (0.95, 1.6),
    ("hip", "high_hip"): (0.98, 1.3),
}


def check_measures(wearer: Wearer, levels: tuple[LevelName, ...], practice: Practice) -> list[Finding]:
    """Readings that disagree, and levels out of human proportion: things to check, never to refuse."""
    findings = []
    means = {}
    for name in levels:
        readings = wearer[name].readings_mm
        if not readings:
            continue
        means[name] = math.fsum(readings) / len(readings)
        findings += [*_check_readings(name, readings, practice), *_check_arcs(wearer[name], name, means)]
    for (one, other), (low, high) in _PROPORTION.items():
        if one not in means or other not in means or low <= means[one] / means[other] <= high:
            continue
        findings.append(
            finding(
                "proportion",
                "wearer",
                "caution",
                at=f"wearer.{one}.readings_mm",
                where=LEVEL_LABELS[one],
                numbers={"girth_mm": means[one], "least_mm": low * means[other], "most_mm": high * means[other]},
                level=one,
                beside=other,
                beside_mm=means[other],
            )
        )
    return findings


def _check_readings(name: LevelName, readings: tuple[float, ...], practice: Practice) -> list[Finding]:
    apart = max(readings) - min(readings)
    if apart <= practice.readings_disagree_mm:
        return []
    return [
        finding(
            "readings_disagree",
            "wearer",
            "caution",
            at=f"wearer.{name}.readings_mm",
            where=LEVEL_LABELS[name],
            numbers={"apart_mm": apart},
            level=name,
        )
    ]


def _check_arcs(level: Level, name: LevelName, means: dict[LevelName, float]) -> list[Finding]:
    """Front and back arc that do not add up to the girth (15 mm is what tapes differ by)."""
    if level.front_arc_mm is None or level.back_arc_mm is None:
        return []
    both = level.front_arc_mm + level.back_arc_mm
    if abs(both - means[name]) <= 15:
        return []
    return [
        finding(
            "arcs_differ",
            "wearer",
            "caution",
            at=f"wearer.{name}.back_arc_mm",
            where=LEVEL_LABELS[name],
            numbers={"arcs_mm": both, "girth_mm": means[name]},
            level=name,
        )
    ]
