"""Kinds of garment: what each is for, the levels it needs, how it is cut and opened (handbook, section 1)."""

from typing import Literal

from fuseau.craft.base.findings import Change
from fuseau.craft.base.record import Record
from fuseau.craft.materials.catalogue import BoneName
from fuseau.craft.wearer.measures import FULL_TORSO, NECK, TORSO, LevelName, Zero, zero_of

KindName = Literal[
    "underbust corset",
    "overbust corset",
    "cincher",
    "longline corset",
    "boned bodice",
    "strapless bodice",
    "foundation bodice",
    "neck corset",
]


class GarmentKind(Record):
    """One kind of garment. `panels` are fewest, usual and most in each half; `tied` is laced to a set gap."""

    name: KindName
    what: str
    levels: tuple[LevelName, ...]
    needed: tuple[LevelName, ...]
    panels: tuple[int, int, int]
    reduces: bool
    percent: float
    gap_mm: float
    busk: bool
    tied: bool = False
    cups: bool = False
    edge_bone: BoneName = "flat_12"

    @property
    def zero(self) -> Zero:
        """The line from which heights are taken on this garment."""
        return zero_of(self.levels[0])

    def defaults(self) -> tuple[Change, ...]:
        """What a build of this kind starts with, as changes to it."""
        return (
            Change(at="draft.panels", value=self.panels[1]),
            Change(at="target.job", value="reduction_share" if self.reduces else "none"),
            Change(at="target.reduction_percent", value=self.percent),
            Change(at="target.gap_mm", value=self.gap_mm),
            Change(at="front.opening", value="busk" if self.busk else "none"),
            Change(at="draft.cups", value=self.cups),
            Change(at="bones.lacing_edge", value=self.edge_bone),
        )


_BUST_NEEDED: tuple[LevelName, ...] = ("bust", "underbust", "waist", "hip")

GARMENT_KINDS: dict[KindName, GarmentKind] = {
    kind.name: kind
    for kind in (
        GarmentKind(
            name="underbust corset",
            what="From under the bust to the high hip. Shapes the waist; the bust stays free.",
            levels=TORSO,
            needed=("underbust", "waist", "hip"),
            panels=(4, 6, 7),
            reduces=True,
            percent=8,
            gap_mm=50,
            busk=True,
        ),
        GarmentKind(
            name="overbust corset",
            what="Bust to hip. The seams over the bust shape its fullness.",
            levels=FULL_TORSO,
            needed=_BUST_NEEDED,
            panels=(5, 6, 8),
            reduces=True,
            percent=8,
            gap_mm=50,
            busk=True,
        ),
        GarmentKind(
            name="cincher",
            what="Very short, about the waist. Leaves ribs and hips free, so it suits a large hip spring; mostly no "
            "busk is short enough.",
            levels=TORSO,
            needed=("underbust", "waist", "hip"),
            panels=(3, 5, 6),
            reduces=True,
            percent=6,
            gap_mm=50,
            busk=False,
        ),
        GarmentKind(
            name="longline corset",
            what="Runs low over the hip, and in front stops above the fold of the thigh, or she can't sit.",
            levels=TORSO,
            needed=("underbust", "waist", "high_hip", "hip"),
            panels=(5, 6, 8),
            reduces=True,
            percent=8,
            gap_mm=50,
            busk=True,
        ),
        GarmentKind(
            name="boned bodice",
            what="Supports without reducing: few panels or one piece with darts, light bones.",
            levels=FULL_TORSO,
            needed=_BUST_NEEDED,
            panels=(3, 4, 6),
            reduces=False,
            percent=0,
            gap_mm=30,
            busk=False,
            edge_bone="flat_6",
        ),
        GarmentKind(
            name="strapless bodice",
            what="Cups and underwire over a dense front. Holds itself up, and sometimes a heavy skirt.",
            levels=FULL_TORSO,
            needed=_BUST_NEEDED,
            panels=(4, 5, 7),
            reduces=False,
            percent=0,
            gap_mm=30,
            busk=False,
            edge_bone="flat_6",
            cups=True,
        ),
        GarmentKind(
            name="foundation bodice",
            what="Hidden under a draped dress that is tacked to it; its closure falls on a line the picture shows.",
            levels=FULL_TORSO,
            needed=_BUST_NEEDED,
            panels=(3, 5, 7),
            reduces=False,
            percent=0,
            gap_mm=30,
            busk=False,
            edge_bone="flat_6",
        ),
        GarmentKind(
            name="neck corset",
            what="Jaw to collarbone. Boned for structure, laced for looks, never tight: two fingers slide under it.",
            levels=NECK,
            needed=("upper_neck", "neck_base"),
            panels=(3, 4, 5),
            reduces=False,
            percent=0,
            gap_mm=15,
            busk=False,
            tied=True,
            edge_bone="flat_6",
        ),
    )
}
