"""The stack of cloth: what it takes up inside, and how it stretches (model, sections 3 and 10)."""

import math
from collections.abc import Mapping
from typing import Annotated

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.materials.cloths import CLOTHS, Cloth, ClothName

Thickness = Annotated[float, Length("the thickness of a layer", 0, 8, hardware=True)]
Together = Annotated[
    float, Length("the thickness of layers together", 0, 200, hardware=True)
]  # of as many as there are


class Stack(Record):
    """A garment's cloth: strength ply, and the thickness of what lies outside it, inside it and under it.

    `own` is the strength cloth itself where the catalogue that is shipped has no such one.
    """

    strength: ClothName = "coutil"
    own: Cloth | None = None
    fashion_mm: Together = 0.35
    lining_mm: Together = 0.25
    worn_under_mm: Thickness = 0.0

    @property
    def cloth(self) -> Cloth:
        """The cloth of the strength ply."""
        return self.own or CLOTHS[self.strength]

    def known(self, cloths: Mapping[ClothName, Cloth]) -> "Stack":
        """The same, with its strength cloth beside it where that is one of the maker's own, by name."""
        own = cloths.get(self.strength)
        return self if own is None or own == CLOTHS.get(self.strength) else self.model_copy(update={"own": own})

    @property
    def strength_mm(self) -> float:
        """Thickness of the strength ply."""
        return self.cloth.thickness_mm

    @property
    def total_mm(self) -> float:
        """Thickness of the garment's own plies together."""
        return self.fashion_mm + self.strength_mm + self.lining_mm

    @property
    def stretch_per_n(self) -> float:
        """1/K: the share by which the girth stretches per N/m of pull."""
        return 1 / (self.cloth.stiffness_kn_per_m * 1000)


MOCK_UP_STACK = Stack(strength="calico", fashion_mm=0, lining_mm=0)


def take_up(stack: Stack, seams_round: int, practice: Practice) -> float:
    """Room that the layers take inside the strength ply, in mm of girth (model, section 3).

    2π·d_in + n·k·t: half the strength ply with all that is inside it, and the turn of cloth at each seam.

    >>> round(take_up(Stack(), 10, Practice()), 1)
    7.9
    """
    inside = stack.strength_mm / 2 + stack.lining_mm + stack.worn_under_mm
    return 2 * math.pi * inside + seams_round * practice.seam_take_up * stack.total_mm
