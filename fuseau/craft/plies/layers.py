"""What the maker decides of her cloth: plies from the skin out, and the way they are made up (model, section 10)."""

from collections.abc import Mapping
from typing import Annotated, Literal

from pydantic import Field, model_validator

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Record, at_field
from fuseau.craft.materials.cloths import CLOTHS, Cloth, ClothName, Grain, Role
from fuseau.craft.materials.stack import Stack, Thickness
from fuseau.craft.pattern.pattern import Allowances

Mounted = Literal["fused", "flat-lined", "floating", "bagged", "overlaid by panels", "overlaid in one piece"]
MethodName = Literal[
    "channels between the plies",
    "flat-lined, outside channels",
    "flat-lined, inside channels",
    "floating lining",
    "sandwich",
    "lapped and topstitched",
    "base with an overlay",
    "bagged out",
]

_INSIDE_OUT: dict[Role, int] = {"lining": 0, "strength": 1, "fashion": 2, "overlay": 3}
_ON_TOP = ("overlaid by panels", "overlaid in one piece")


class Join(Record):
    """A panel that is cut in two, with a join across it at a height."""

    panel: Annotated[int, Field(ge=1, le=9)]
    z_mm: Annotated[float, Length("the height of a join", -500, 500)]


class Ply(Record):
    """A ply: what it does, of which cloth, over which panels (None: all), and how it is mounted (None: as the method
    has it).

    `grain` runs from waist to hem, and no matter how where it is `grain_free`; `thickness_mm` is hers as measured, else
    the catalogue's; `allowances` are its own where it is cut with others; `joins` cut a panel in two. A stripe is
    `matched` across its seams; a motif is centred on the panels `motif_on`.
    """

    role: Role
    cloth: ClothName
    thickness_mm: Annotated[float, Length("the thickness of a ply", 0.03, 8, hardware=True)] | None = None
    panels: tuple[Annotated[int, Field(ge=1, le=9)], ...] | None = Field(default=None, max_length=9)
    mounted: Mounted | None = None
    grain: Grain = "along"
    grain_free: bool = False
    allowances: Allowances | None = None
    joins: tuple[Join, ...] = Field(default=(), max_length=18)
    matched: bool = False
    motif_on: tuple[Annotated[int, Field(ge=1, le=9)], ...] = Field(default=(), max_length=9)

    @model_validator(mode="after")
    def _lies_somewhere(self) -> "Ply":
        if self.panels is not None and not self.panels:
            raise at_field("panels", "ply.nowhere")
        return self

    def over(self, panel: int) -> bool:
        """Whether it lies on a panel, by its number."""
        return self.panels is None or panel in self.panels

    def covers(self, panels: int) -> float:
        """The share of so many panels that it lies on."""
        return 1.0 if self.panels is None else sum(1 <= panel <= panels for panel in set(self.panels)) / panels


_USUAL = (
    Ply(role="lining", cloth="lawn"),
    Ply(role="strength", cloth="coutil"),
    Ply(role="fashion", cloth="sateen"),
)


class Layers(Record):
    """Every ply from the skin out, what is worn under them, and how they are made up."""

    plies: tuple[Ply, ...] = Field(default=_USUAL, min_length=1, max_length=8)
    method: MethodName = "channels between the plies"
    worn_under_mm: Thickness = 0.0

    @model_validator(mode="after")
    def _go_on_each_other(self) -> "Layers":
        carrying = [i for i, ply in enumerate(self.plies) if ply.role == "strength"]
        if not carrying:
            raise at_field("plies", "plies.no_strength")
        if len(carrying) > 1:
            raise at_field(
                f"plies.{carrying[1]}.role",
                "plies.two_strengths",
            )
        if self.plies[carrying[0]].panels is not None:
            raise at_field(f"plies.{carrying[0]}.panels", "plies.strength_round")
        outermost, told = -1, ""
        for i, ply in enumerate(self.plies):
            here = _INSIDE_OUT.get(ply.role, outermost)
            if here < outermost:
                raise at_field(f"plies.{i}.role", "plies.order", role=ply.role, inside=told)
            outermost, told = max(outermost, here), ply.role if ply.role in _INSIDE_OUT else told
            if ply.mounted in _ON_TOP and i <= carrying[0]:
                raise at_field(f"plies.{i}.mounted", "plies.over")
        return self

    @property
    def carrying(self) -> int:
        """Place of the strength ply among the plies."""
        return next(i for i, ply in enumerate(self.plies) if ply.role == "strength")

    @property
    def inside(self) -> tuple[Ply, ...]:
        """The plies between the strength ply and her, from the skin out."""
        return self.plies[: self.carrying]

    @property
    def outside(self) -> tuple[Ply, ...]:
        """The plies over the strength ply, from it outward."""
        return self.plies[self.carrying + 1 :]

    def stack(self, panels: int, cloths: Mapping[ClothName, Cloth]) -> Stack:
        """The same as thicknesses: what the garment takes up and how it stretches follow from these.

        A ply that lies only on some of the `panels` of a half counts with their share.
        """
        strength = self.plies[self.carrying]
        cloth = cloths[strength.cloth]
        if strength.thickness_mm is not None:
            cloth = cloth.model_copy(update={"thickness_mm": strength.thickness_mm})

        def thick(plies: tuple[Ply, ...]) -> float:
            return sum(thickness(ply, cloths) * ply.covers(panels) for ply in plies)

        return Stack(
            strength=strength.cloth,
            own=None if CLOTHS.get(strength.cloth) == cloth else cloth,
            fashion_mm=thick(self.outside),
            lining_mm=thick(self.inside),
            worn_under_mm=self.worn_under_mm,
        )


def thickness(ply: Ply, cloths: Mapping[ClothName, Cloth]) -> float:
    """How thick a ply is: as she measured it, else as the catalogue has it, mm."""
    return cloths[ply.cloth].thickness_mm if ply.thickness_mm is None else ply.thickness_mm
