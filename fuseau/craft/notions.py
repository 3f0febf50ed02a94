"""What is bought: bones, busks, grommets, cloths. The sizes are common ones; suppliers differ, so check yours."""

from typing import Literal

from fuseau.craft.record import Record

BoneName = Literal["flat_12", "flat_6", "spiral_6", "synthetic_7", "cable_tie_8"]
GrommetName = Literal["grommet_5", "grommet_4", "eyelet_5", "worked_4", "tape_loop"]
ClothName = Literal["coutil", "canvas", "calico", "sheet"]


class BoneKind(Record):
    """A bone as sold. Stiffness comes from the material, except where it is given (spiral)."""

    name: BoneName
    label: str
    width_mm: float
    thickness_mm: float
    modulus_gpa: float
    edgewise_n_m2: float | None = None
    clearance_mm: float
    capped: bool
    bends: str
    strain: float = 0.003

    @property
    def least_radius_mm(self) -> float:
        """The tightest edge-wise bend it follows, w/(2ε) (model, section 7); spiral steel 60 mm.

        >>> [round(BONES[name].least_radius_mm) for name in ("flat_6", "flat_12", "synthetic_7", "cable_tie_8")]
        [1000, 2000, 350, 380]
        """
        return 60.0 if self.edgewise_n_m2 is not None else self.width_mm / (2 * self.strain)

    def edgewise_stiffness(self) -> float:
        """EI against bending in the plane of the cloth, N·m²: E·t·w³/12 (model, section 3).

        >>> round(BONES["flat_12"].edgewise_stiffness(), 1)
        28.8
        """
        if self.edgewise_n_m2 is not None:
            return self.edgewise_n_m2
        return self.modulus_gpa * self.thickness_mm * self.width_mm**3 / 12 / 1000


class BuskStock(Record):
    """A straight split busk as sold: its length, and its studs from the top end."""

    length_mm: float
    studs: int
    first_stud_mm: float
    loop_width_mm: float = 12.0
    width_mm: float = 13.0

    def stud_places(self) -> tuple[float, ...]:
        """Stud centres from the top end, mm: the first and last at the same distance from the ends."""
        step = (self.length_mm - 2 * self.first_stud_mm) / (self.studs - 1)
        return tuple(self.first_stud_mm + step * i for i in range(self.studs))


class GrommetKind(Record):
    """A way to make a hole that a lace goes through: hole, flange and the die that sets it belong together.

    `holds_n`: what one holds for an evening in a strength layer and its facing; `minutes`: to make one.
    """

    name: GrommetName
    label: str
    hole_mm: float
    flange_mm: float
    die: str
    holds_n: float
    minutes: float
    bought: bool = True


class Cloth(Record):
    """A cloth for the strength layer or a mock-up: thickness, and stiffness K (kN/m) against the pull."""

    name: ClothName
    label: str
    thickness_mm: float
    stiffness_kn_per_m: float


def _bone(
    name: BoneName,
    label: str,
    size: tuple[float, float],
    modulus: float,
    clearance: float,
    capped: bool,
    bends: str,
    edgewise: float | None = None,
    strain: float = 0.003,
) -> BoneKind:
    return BoneKind(
        name=name,
        label=label,
        width_mm=size[0],
        thickness_mm=size[1],
        modulus_gpa=modulus,
        edgewise_n_m2=edgewise,
        clearance_mm=clearance,
        capped=capped,
        bends=bends,
        strain=strain,
    )


# Moduli: spring steel 200 GPa; synthetic whalebone 2.6; nylon tie 2.4. Spiral steel: measured stiffness.
BONES: dict[BoneName, BoneKind] = {
    kind.name: kind
    for kind in (
        _bone("flat_12", "flat steel 12 × 1.0 mm", (12, 1.0), 200, 6, False, "flat-wise only"),
        _bone("flat_6", "flat steel 6 × 0.8 mm", (6, 0.8), 200, 6, False, "flat-wise only"),
        _bone("spiral_6", "spiral steel 6.4 × 1.6 mm", (6.4, 1.6), 200, 6, True, "every way", 0.01),
        _bone(
            "synthetic_7", "synthetic 7 × 1.5 mm", (7, 1.5), 2.6, 8, False, "flat-wise, a little edge-wise", strain=0.01
        ),
        _bone("cable_tie_8", "cable tie 7.6 × 1.8 mm", (7.6, 1.8), 2.4, 8, False, "flat-wise", strain=0.01),
    )
}

BUSKS: tuple[BuskStock, ...] = tuple(
    BuskStock(length_mm=length, studs=studs, first_stud_mm=20)
    for length, studs in ((200, 4), (230, 4), (250, 5), (280, 5), (305, 5), (330, 6))
)

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
            minutes=1.5,
        ),
        GrommetKind(
            name="grommet_4",
            label="two-part grommet, 4 mm hole",
            hole_mm=4,
            flange_mm=8.5,
            die="4 mm",
            holds_n=30,
            minutes=1.5,
        ),
        GrommetKind(
            name="eyelet_5",
            label="one-part eyelet, 5 mm hole",
            hole_mm=5,
            flange_mm=9,
            die="5 mm",
            holds_n=9,
            minutes=1,
        ),
        GrommetKind(
            name="worked_4",
            label="eyelet worked by hand, 4 mm hole",
            hole_mm=4,
            flange_mm=8,
            die="none: awl and thread",
            holds_n=20,
            minutes=15,
            bought=False,
        ),
        GrommetKind(
            name="tape_loop",
            label="loop of tape in the edge",
            hole_mm=8,
            flange_mm=8,
            die="none: tape, caught in the edge",
            holds_n=25,
            minutes=3,
            bought=False,
        ),
    )
}
GROMMET = GROMMETS["grommet_5"]

CLOTHS: dict[ClothName, Cloth] = {
    cloth.name: cloth
    for cloth in (
        Cloth(name="coutil", label="coutil", thickness_mm=0.55, stiffness_kn_per_m=100),
        Cloth(name="canvas", label="canvas", thickness_mm=0.6, stiffness_kn_per_m=60),
        Cloth(name="calico", label="calico", thickness_mm=0.5, stiffness_kn_per_m=30),
        Cloth(name="sheet", label="bed sheet", thickness_mm=0.3, stiffness_kn_per_m=20),
    )
}
