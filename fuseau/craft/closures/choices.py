"""What the maker chooses of the front: what opens, where, and with which busk."""

from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Record
from fuseau.craft.materials.catalogue import BuskStock

OpeningKind = Literal["busk", "zip", "hidden zip", "hooks", "lacing", "none"]
Half = Literal["both", "right", "left"]


class FrontChoices(Record):
    """How the garment opens, apart from the lacing behind.

    `line`: CF, CB, side, or a seam (2·3), for zips and hooks; side and seams open on one `half`, or on both. `busk` is
    one of the maker's own, measured; None takes the longest of those sold that fits, and `thin` says that it bends by
    hand. Where a zip or the hooks begin and end is told from the edges of the garment; None takes the house number.
    """

    opening: OpeningKind = "busk"
    line: Annotated[str, Field(pattern=r"^(CF|CB|side|[1-8]·[2-9])$")] = "CF"
    half: Half = "left"
    busk: BuskStock | None = None
    thin: bool = False
    flap: bool = Field(default=False, description="A flap behind that hides the opening.")
    from_top_mm: Annotated[float, Length("where it begins below the top", 0, 300, hardware=True)] | None = None
    from_hem_mm: Annotated[float, Length("where it ends above the hem", 0, 300, hardware=True)] | None = None
    zip_mm: Annotated[float, Length("the zip's length", 40, 1200)] | None = Field(
        default=None, description="The teeth of a zip of her own; None takes one that is sold."
    )
    hook_count: Annotated[int, Amount("the number of hooks", 2, 80, whole=True)] | None = None
    hook_pitch_mm: Annotated[float, Length("the pitch of hooks", 8, 40, hardware=True)] = 15.0
