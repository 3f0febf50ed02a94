"""What is bought: bones, busks, grommets, zips, laces. The sizes are common ones: check yours."""

import re
from collections.abc import Container, Mapping
from typing import Annotated, Literal

from pydantic import AfterValidator, Field, WithJsonSchema, model_validator

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Record, Text, at_field, refused
from fuseau.craft.materials.cloths import CLOTHS, Cloth, ClothName
from fuseau.craft.materials.minutes import MINUTES, Work

BoneName = Annotated[str, Field(pattern=r"^[a-z][a-z0-9_]{0,39}$", description="A kind of bone in the catalogue.")]
GrommetName = Literal["grommet_5", "grommet_4", "eyelet_5", "worked_4", "tape_loop"]
LaceName = Literal["cord_4", "flat_8", "ribbon_10", "ribbon_4"]
Sold = Literal["ready-cut", "lengths", "coil"]


Look = Literal["bar", "coil", "strip", "ribbon"]


class Stuff(Record):
    """What a bone is made of: how it bends, how its ends are made, and how long one takes.

    `modulus_gpa` in bending; `strain` is what it bears edge-wise for good; spiral steel has a stiffness and a least
    radius of its own, whatever its size (model, sections 3 and 7). What is done with it follows from the rest: ends
    that `fly` when they are cut are cautioned; what `carries_edge` stands at a lacing edge, or beside a thin busk; a
    `makeshift` is never proposed; `drawn` is how it looks on the garment.
    """

    modulus_gpa: float
    strain: float
    clearance_mm: float
    ends: Literal["tipped or dipped", "capped and glued", "cut and rounded", "singed or covered"]
    bends: str
    work: Work
    tools: tuple[str, ...] = ("shears", "file")
    flies: bool = False
    carries_edge: bool = False
    makeshift: bool = False
    drawn: Look = "strip"
    edgewise_n_m2: float | None = None
    flatwise_n_m2: float | None = None
    radius_mm: float | None = None


STUFFS: dict[str, Stuff] = {
    "flat steel": Stuff(
        modulus_gpa=200,
        strain=0.003,
        clearance_mm=6,
        ends="tipped or dipped",
        bends="flat-wise only",
        work="cut a flat bone",
        tools=("cutter", "file"),
        flies=True,
        carries_edge=True,
        drawn="bar",
    ),
    "spiral steel": Stuff(
        modulus_gpa=200,
        strain=0.003,
        clearance_mm=6,
        ends="capped and glued",
        bends="every way",
        work="cut a spiral bone",
        tools=("cutter", "file"),
        flies=True,
        drawn="coil",
        edgewise_n_m2=0.01,
        flatwise_n_m2=0.01,
        radius_mm=60,
    ),
    "synthetic whalebone": Stuff(
        modulus_gpa=2.6,
        strain=0.01,
        clearance_mm=8,
        ends="cut and rounded",
        bends="flat-wise, a little edge-wise",
        work="cut a synthetic bone",
    ),
    "plastic": Stuff(
        modulus_gpa=2.0,
        strain=0.01,
        clearance_mm=8,
        ends="cut and rounded",
        bends="flat-wise only",
        work="cut a synthetic bone",
    ),
    "woven": Stuff(
        modulus_gpa=0.8,
        strain=0.02,
        clearance_mm=8,
        ends="singed or covered",
        bends="every way, softly",
        work="cut a synthetic bone",
        drawn="ribbon",
    ),
    "nylon": Stuff(
        modulus_gpa=2.4,
        strain=0.01,
        clearance_mm=8,
        ends="cut and rounded",
        bends="flat-wise",
        work="cut a synthetic bone",
        makeshift=True,
    ),
}


def _known(material: str) -> str:
    if material not in STUFFS:
        raise refused("bone.material", known=", ".join(STUFFS))
    return material


Material = Annotated[str, AfterValidator(_known), WithJsonSchema({"type": "string", "enum": list(STUFFS)})]


class BoneKind(Record):
    """A bone as sold. Its stiffness, bends and ends come from what it is made of.

    `sold`: ready-cut lengths are taken as they are; lengths and coils are cut. `price_per_m` and `price_each` (a tip
    at both ends, or a ready-cut piece) are in the workshop's money.
    """

    name: BoneName
    label: Annotated[str, Text(80, least=1)]
    material: Material
    width_mm: Annotated[float, Length("the width of a bone", 2, 30, hardware=True)]
    thickness_mm: Annotated[float, Length("the thickness of a bone", 0.2, 6, hardware=True)]
    sold: Sold = "coil"
    lengths_mm: tuple[Annotated[float, Length("a length that is sold", 30, 3000, hardware=True)], ...] = Field(
        default=(), max_length=40
    )
    price_per_m: Annotated[float, Amount("a price by the metre", 0, 1000)] = 0.0
    price_each: Annotated[float, Amount("a price for each", 0, 1000)] = 0.0
    g_per_m: Annotated[float, Amount("a weight in grams by the metre", 0, 2000)] = 0.0
    bends_to_mm: Annotated[float, Length("a radius that it bends to", 10, 20000)] | None = Field(
        default=None, description="The tightest edge-wise bend, where it is known; else from its width."
    )

    @model_validator(mode="after")
    def _is_sold_somehow(self) -> "BoneKind":
        if self.sold != "coil" and not self.lengths_mm:
            raise at_field("lengths_mm", "bone.lengths", label=self.label)
        return self

    @property
    def stuff(self) -> Stuff:
        """What it is made of."""
        return STUFFS[self.material]

    @property
    def clearance_mm(self) -> float:
        """What it stays clear of each end of its channel, without a cap."""
        return self.stuff.clearance_mm

    @property
    def capped(self) -> bool:
        """Whether a cap adds to its length at each end."""
        return self.stuff.ends == "capped and glued"

    @property
    def bends(self) -> str:
        """Which way it bends, in words."""
        return self.stuff.bends

    @property
    def least_radius_mm(self) -> float:
        """The tightest edge-wise bend it follows, w/(2ε) (model, section 7); spiral steel 60 mm.

        >>> [round(BONES[name].least_radius_mm) for name in ("flat_6", "flat_12", "synthetic_7", "cable_tie_8")]
        [1000, 2000, 350, 380]
        """
        return self.bends_to_mm or self.stuff.radius_mm or self.width_mm / (2 * self.stuff.strain)

    @property
    def least_flat_radius_mm(self) -> float:
        """The tightest flat-wise bend that it comes back from, t/(2ε) (model, section 7)."""
        return self.stuff.radius_mm or self.thickness_mm / (2 * self.stuff.strain)

    def edgewise_stiffness(self) -> float:
        """EI against bending in the plane of the cloth, N·m²: E·t·w³/12 (model, section 3).

        >>> round(BONES["flat_12"].edgewise_stiffness(), 1)
        28.8
        """
        if self.stuff.edgewise_n_m2 is not None:
            return self.stuff.edgewise_n_m2
        return self.stuff.modulus_gpa * self.thickness_mm * self.width_mm**3 / 12 / 1000

    def flatwise_stiffness(self) -> float:
        """EI against bending out of the cloth, N·m²: E·w·t³/12 (model, section 7).

        >>> round(BONES["flat_12"].flatwise_stiffness(), 2)
        0.2
        """
        if self.stuff.flatwise_n_m2 is not None:
            return self.stuff.flatwise_n_m2
        return self.stuff.modulus_gpa * self.width_mm * self.thickness_mm**3 / 12 / 1000


class BuskStock(Record):
    """A straight split busk as sold: its length, and its studs from the top end, evenly or as measured.

    `thin`: one that bends by hand, and wants a flat steel beside it.
    """

    length_mm: Annotated[float, Length("a busk", 100, 500, hardware=True)]
    studs: int = Field(default=0, ge=0, le=16)
    first_stud_mm: float = 20.0
    own_studs_mm: tuple[Annotated[float, Length("a stud from the top end", 0, 500, hardware=True)], ...] = Field(
        default=(), max_length=16
    )
    loop_width_mm: Annotated[float, Length("the width of a loop", 4, 40, hardware=True)] = 12.0
    width_mm: Annotated[float, Length("the width of a busk", 5, 60, hardware=True)] = 13.0
    thin: bool = False

    @model_validator(mode="after")
    def _studs_lie_on_it(self) -> "BuskStock":
        if not self.own_studs_mm:
            if self.studs < 2:
                raise at_field("own_studs_mm", "busk.studs")
            return self
        for i, stud in enumerate(self.own_studs_mm):
            if not self.loop_width_mm / 2 <= stud <= self.length_mm - self.loop_width_mm / 2:
                raise at_field(
                    f"own_studs_mm.{i}",
                    "busk.stud_beyond",
                    stud_mm=stud,
                    loop_mm=self.loop_width_mm,
                    length_mm=self.length_mm,
                )
        for i, (upper, lower) in enumerate(zip(self.own_studs_mm, self.own_studs_mm[1:], strict=False)):
            if lower - upper < self.loop_width_mm + 8:
                raise at_field(
                    f"own_studs_mm.{i + 1}",
                    "busk.studs_close",
                    upper_mm=upper,
                    lower_mm=lower,
                    least_mm=self.loop_width_mm + 8,
                )
        return self

    def stud_places(self) -> tuple[float, ...]:
        """Stud centres from the top end, mm: as measured, or the first and last equally far from the ends."""
        if self.own_studs_mm:
            return self.own_studs_mm
        step = (self.length_mm - 2 * self.first_stud_mm) / (self.studs - 1)
        return tuple(self.first_stud_mm + step * i for i in range(self.studs))


class GrommetKind(Record):
    """A way to make a hole that a lace goes through: hole, flange and the die that sets it belong together.

    `holds_n`: what one holds for an evening in a strength layer and its facing; `work`: what it is to make one.
    """

    name: GrommetName
    label: str
    hole_mm: float
    flange_mm: float
    die: str
    holds_n: float
    work: Work = "grommet"
    bought: bool = True
    grip_mm: float = Field(default=4.0, description="The thickest cloth that its shank reaches through, pressed.")
    height_mm: float = Field(default=1.2, description="How far a flange stands above the cloth.")

    @property
    def minutes(self) -> float:
        """To make one, by the shop's pace."""
        return MINUTES[self.work]


class LaceKind(Record):
    """A lace: how wide it lies, how wide it is drawn together through a hole, and what is to mind."""

    name: LaceName
    label: str
    width_mm: float
    through_mm: float
    mind: str


def _bone(
    name: BoneName,
    label: str,
    material: Material,
    size: tuple[float, float],
    g_per_m: float,
    price: tuple[float, float],
    lengths: tuple[float, ...] = (),
    sold: Sold = "coil",
) -> BoneKind:
    return BoneKind(
        name=name,
        label=label,
        material=material,
        width_mm=size[0],
        thickness_mm=size[1],
        g_per_m=g_per_m,
        price_per_m=price[0],
        price_each=price[1],
        lengths_mm=lengths,
        sold=sold,
    )


_READY = tuple(float(length) for length in range(150, 425, 25))

# Weights follow from size and material; prices are round figures to compare with, not anybody's.
BONES: dict[BoneName, BoneKind] = {
    kind.name: kind
    for kind in (
        _bone("flat_12", "flat steel 12 × 1.0 mm", "flat steel", (12, 1.0), 94, (3.6, 0.4)),
        _bone("flat_6", "flat steel 6 × 0.8 mm", "flat steel", (6, 0.8), 38, (2.2, 0.4)),
        _bone(
            "flat_7_ready", "flat steel 7 × 0.5 mm, tipped", "flat steel", (7, 0.5), 27, (0, 0.9), _READY, "ready-cut"
        ),
        _bone("spiral_6", "spiral steel 6.4 × 1.6 mm", "spiral steel", (6.4, 1.6), 35, (2.8, 0.5)),
        _bone("synthetic_7", "synthetic 7 × 1.5 mm", "synthetic whalebone", (7, 1.5), 11, (2.0, 0)),
        _bone(
            "synthetic_12",
            "synthetic 12 × 1.5 mm",
            "synthetic whalebone",
            (12, 1.5),
            19,
            (3.0, 0),
            (500, 1000),
            "lengths",
        ),
        _bone("plastic_6", "plastic 6 × 1.2 mm", "plastic", (6, 1.2), 8, (0.8, 0)),
        _bone("plastic_10", "plastic 10 × 1.4 mm", "plastic", (10, 1.4), 15, (1.2, 0)),
        _bone("woven_8", "woven, sewn through, 8 × 1.5 mm", "woven", (8, 1.5), 9, (0.9, 0)),
        _bone("cable_tie_8", "cable tie 7.6 × 1.8 mm", "nylon", (7.6, 1.8), 15, (0.9, 0), (370,), "lengths"),
        _bone("cable_tie_5", "cable tie 4.8 × 1.3 mm", "nylon", (4.8, 1.3), 7, (0.4, 0), (370,), "lengths"),
    )
}
MOCK_UP_BONE: BoneName = "cable_tie_8"


class OwnKinds(Record):
    """The maker's own bones and cloths: added to the shipped ones, or in the place of one, by name."""

    bones: dict[BoneName, BoneKind] = Field(default_factory=dict, max_length=40)
    cloths: dict[ClothName, Cloth] = Field(default_factory=dict, max_length=40)

    @model_validator(mode="after")
    def _named_alike(self) -> "OwnKinds":
        for at, entries in (("bones", self.bones), ("cloths", self.cloths)):
            for name, entry in entries.items():
                if entry.name != name:
                    raise at_field(f"{at}.{name}.name", "entry.called", name=name, says=entry.name)
        return self

    @property
    def kinds(self) -> Mapping[BoneName, BoneKind]:
        """Every kind of bone there is to choose from: the shipped ones, with the maker's own."""
        return {**BONES, **self.bones} if self.bones else BONES

    @property
    def all_cloths(self) -> Mapping[ClothName, Cloth]:
        """Every cloth there is to choose from: the shipped ones, with the maker's own."""
        return {**CLOTHS, **self.cloths} if self.cloths else CLOTHS


def entry_key(label: str, taken: Container[str], what: Literal["bone", "cloth"] = "bone") -> str:
    """A key for a new entry, from what it is called.

    >>> entry_key("Flat steel 5 mm", BONES)
    'flat_steel_5_mm'
    """
    bare = re.sub(r"[^a-z0-9]+", "_", label.lower()).strip("_")[:34]
    name = bare if bare[:1].isalpha() else f"{what}_{bare}".strip("_")
    return next(key for key in (name, *(f"{name}_{i}" for i in range(2, 99))) if key not in taken)


class School(Record):
    """A way to bone a garment (handbook, 3.5): which kind lies where, and what is said for it."""

    name: Literal["all steel", "synthetic", "mixed", "plastic"]
    why: str
    lacing_edge: BoneName
    beside_busk: BoneName
    sides: BoneName
    seams: BoneName
    between_seams: BoneName
    curved: BoneName


SCHOOLS: tuple[School, ...] = (
    School(
        name="all steel",
        why="stiff and lasting; heavy, and the dearest",
        lacing_edge="flat_12",
        beside_busk="flat_6",
        sides="spiral_6",
        seams="spiral_6",
        between_seams="flat_6",
        curved="spiral_6",
    ),
    School(
        name="mixed",
        why="steel at CF, CB and sides, where it carries; plastic between",
        lacing_edge="flat_12",
        beside_busk="flat_6",
        sides="spiral_6",
        seams="plastic_6",
        between_seams="plastic_6",
        curved="spiral_6",
    ),
    School(
        name="synthetic",
        why="light, and takes a set from the warmth of the body; a soft lacing edge",
        lacing_edge="synthetic_12",
        beside_busk="synthetic_7",
        sides="synthetic_7",
        seams="synthetic_7",
        between_seams="synthetic_7",
        curved="woven_8",
    ),
    School(
        name="plastic",
        why="enough for a costume that only keeps its shape; cheap, and quick to cut",
        lacing_edge="plastic_10",
        beside_busk="plastic_6",
        sides="plastic_6",
        seams="plastic_6",
        between_seams="plastic_6",
        curved="woven_8",
    ),
)

BUSKS: tuple[BuskStock, ...] = tuple(
    BuskStock(length_mm=length, studs=studs)
    for length, studs in ((165, 3), (200, 4), (230, 4), (250, 5), (280, 5), (305, 5), (330, 6), (355, 6), (405, 7))
)
BUSKS_IN: tuple[BuskStock, ...] = tuple(  # as shops that count in inches sell them: by the half inch
    BuskStock(length_mm=half * 12.7, studs=max(3, round(half * 12.7 / 57))) for half in range(13, 33)
)
ZIPS_MM: dict[Literal["separating", "hidden"], tuple[float, ...]] = {
    "separating": (200, 250, 300, 350, 400, 450, 500, 600),
    "hidden": (180, 220, 250, 300, 350, 400, 500, 600),
}
LACES: dict[LaceName, LaceKind] = {
    lace.name: lace
    for lace in (
        LaceKind(name="cord_4", label="cord, 4 mm", width_mm=4, through_mm=4, mind="round: it slips well, and rolls"),
        LaceKind(
            name="flat_8", label="flat lace, 8 mm", width_mm=8, through_mm=3, mind="lies flat and keeps what is drawn"
        ),
        LaceKind(
            name="ribbon_10",
            label="double-faced ribbon, 10 mm",
            width_mm=10,
            through_mm=3.5,
            mind="looks fine, slips; change it when its edges fray",
        ),
        LaceKind(
            name="ribbon_4",
            label="narrow ribbon, 4 mm",
            width_mm=4,
            through_mm=2,
            mind="wears through: not where the pull is hard",
        ),
    )
}

# What a hole holds is a cautious figure for two plies of a firm cloth; try one on a scrap and hang a weight from it.
GROMMETS: dict[GrommetName, GrommetKind] = {
    kind.name: kind
    for kind in (
        GrommetKind(
            name="grommet_5",
            label="two-part grommet, 5 mm hole",
            hole_mm=5,
            flange_mm=10,
            die="5 mm",
            holds_n=40,
        ),
        GrommetKind(
            name="grommet_4",
            grip_mm=3.2,
            label="two-part grommet, 4 mm hole",
            hole_mm=4,
            flange_mm=8.5,
            die="4 mm",
            holds_n=30,
        ),
        GrommetKind(
            name="eyelet_5",
            grip_mm=1.8,
            label="one-part eyelet, 5 mm hole",
            hole_mm=5,
            flange_mm=9,
            die="5 mm",
            holds_n=9,
        ),
        GrommetKind(
            name="worked_4",
            grip_mm=6,
            height_mm=0.8,
            label="eyelet worked by hand, 4 mm hole",
            hole_mm=4,
            flange_mm=8,
            die="none: awl and thread",
            holds_n=20,
            work="worked eyelet",
            bought=False,
        ),
        GrommetKind(
            name="tape_loop",
            grip_mm=20,
            height_mm=0.8,
            label="loop of tape in the edge",
            hole_mm=8,
            flange_mm=8,
            die="none: tape, caught in the edge",
            holds_n=25,
            work="tape loop",
            bought=False,
        ),
    )
}
