"""What lies on the shelf: lengths and scraps of cloth, bones, hardware, laces and tapes (model, section 12)."""

from typing import Annotated

from pydantic import Field, model_validator

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Record, Text, at_field
from fuseau.craft.layout.scraps import LEAST_FLAW_MM2, outline_fault
from fuseau.craft.stock.articles import ArticleName, Measure, Sort

StockId = Annotated[str, Field(pattern=r"^[a-z0-9]{1,16}$", description="A piece on the shelf.")]
Spot = tuple[
    Annotated[float, Length("a point of a piece of cloth", -20_000, 20_000)],
    Annotated[float, Length("a point of a piece of cloth", -20_000, 20_000)],
]
Outline = Annotated[tuple[Spot, ...], Field(min_length=3, max_length=400)]

_SAME_MM = 0.06
_BY_LENGTH: tuple[Sort, ...] = "lace", "tape"
_HAS_LENGTH: tuple[Sort, ...] = "cloth", "bone", "lace", "tape"


class Stock(Record):
    """Pieces of one sort and size that lie on the shelf.

    A cloth is as long along its grain as `length_mm` and as wide as `width_mm` between its selvedges, or has an
    `outline` (closed, mm, x along its grain, tops toward larger x) when it is a scrap; `flaws` are kept clear of. Bones
    are `count` pieces of `length_mm`, as a rest or a coil is one; `lot`: what came from one making.
    """

    id: StockId
    sort: Sort
    name: ArticleName
    label: Annotated[str, Text(80, least=1)]
    count: Annotated[int, Amount("how many there are", 1, 100_000, whole=True)] = 1
    length_mm: Annotated[float, Length("the length of a piece on the shelf", 10, 500_000)] | None = None
    width_mm: Annotated[float, Length("the width of a piece on the shelf", 3, 4000)] | None = None
    outline: Outline | None = None
    flaws: tuple[Outline, ...] = Field(default=(), max_length=20)
    where: Annotated[str, Text(80)] = ""
    lot: Annotated[str, Text(40)] = ""
    cost: Annotated[float, Amount("what it cost", 0, 20_000)] = 0.0
    note: Annotated[str, Text(200)] = ""

    @model_validator(mode="after")
    def _is_something(self) -> "Stock":
        if self.outline is not None:
            if self.sort != "cloth":
                raise at_field("outline", "stock.outline")
            if fault := outline_fault(self.outline):
                raise at_field("outline", fault.code, **fault.given)
        elif self.sort in _HAS_LENGTH and self.length_mm is None:
            raise at_field("length_mm", "stock.long")
        if self.sort == "cloth":
            if self.outline is None and self.width_mm is None:
                raise at_field("width_mm", "stock.wide")
            if self.count != 1:
                raise at_field("count", "stock.each")
        for i, flaw in enumerate(self.flaws):
            if self.sort != "cloth":
                raise at_field(f"flaws.{i}", "stock.flaw")
            if fault := outline_fault(flaw, LEAST_FLAW_MM2):
                raise at_field(f"flaws.{i}", fault.code, **fault.given)
        return self

    @property
    def measure(self) -> Measure:
        """Whether parts of it are taken by length, or pieces by their number; a scrap is taken whole."""
        if self.sort == "cloth":
            return "piece" if self.outline is not None or self.flaws else "length"
        return "length" if self.sort in _BY_LENGTH else "piece"

    @property
    def amount(self) -> float:
        """How much there is: mm of what is taken by length, else pieces."""
        return (self.length_mm or 0.0) * self.count if self.measure == "length" else float(self.count)

    def is_bone(self, kind: str, length_mm: float) -> bool:
        """Whether it is a bone of a kind, as long as this to a tenth of a millimetre, to which bones are counted."""
        here = (self.sort, self.name) == ("bone", kind) and self.length_mm is not None
        return here and abs((self.length_mm or 0.0) - length_mm) < _SAME_MM

    @property
    def shape(self) -> tuple[tuple[float, float], ...]:
        """A cloth's outline, also where it is a plain length: x along its grain."""
        if self.outline is not None:
            return self.outline
        long, wide = self.length_mm or 0.0, self.width_mm or 0.0
        return ((0.0, 0.0), (long, 0.0), (long, wide), (0.0, wide))
