"""What the maker chooses of the front: what opens, where, and with which busk."""

from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Record
from fuseau.craft.materials.catalogue import BuskStock

OpeningKind = Literal["busk", "zip", "hidden zip", "hooks", "lacing", "none"]


class FrontChoices(Record):
    """How the garment opens, apart from the lacing behind.

    `line`: CF, side, or a seam (2·3), for zips and hooks. `busk` is one of the maker's own, measured; None takes the
    longest of those sold that fits, and `thin` says that it bends by hand.
    """

    opening: OpeningKind = "busk"
    line: Annotated[str, Field(pattern=r"^(CF|side|[1-8]·[2-9])$")] = "CF"
    busk: BuskStock | None = None
    thin: bool = False
    flap: bool = Field(default=False, description="A flap behind that hides the opening.")
    hook_pitch_mm: Annotated[float, Length("the pitch of hooks", 8, 40, hardware=True)] = 15.0
