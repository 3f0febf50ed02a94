"""What is decided at the cutting table, and what was cut from which cloth (model, sections 11 and 12)."""

import datetime
from typing import Annotated

from pydantic import Field

from fuseau.craft.base.record import Amount, Record, Text
from fuseau.craft.layout.nesting import Pinned
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.stock.stock import Stock, StockId


class Used(Record):
    """A piece of the shelf that was cut from: as it was before, and what of it went back."""

    stock: Stock
    rests: tuple[Stock, ...] = Field(default=(), max_length=60)


class CutDone(Record):
    """A cloth that has been cut: when, for which version, how many pieces, and from what of the shelf.

    `new_mm` is how much of it was new cloth, that had not been put on the shelf; `frills` are the keys of those
    frills and skirts that were cut with it.
    """

    on: datetime.date
    version: int | None = None
    pieces: int = Field(ge=0, le=10_000)
    used: tuple[Used, ...] = Field(default=(), max_length=60)
    frills: tuple[Annotated[str, Text(8)], ...] = Field(default=(), max_length=20)
    new_mm: float = Field(default=0.0, ge=0, le=1_000_000)


class CutChoices(Record):
    """How cloths are laid, what is cut from another cloth or with a join, and what is cut already.

    `fold`: cloths whose lengths lie double. `pinned`: pieces that stay where she put them, by cloth. `leave`: pieces of
    the shelf that are not to be cut from. `facing`, `modesty`, `binding`: the cloth that these are of, where it is not
    that of their ply. `binding_joins`: the binding is cut in shorter strips with so many joins, laid among the pieces.
    """

    fold: tuple[ClothName, ...] = Field(default=(), max_length=40)
    pinned: dict[ClothName, tuple[Pinned, ...]] = Field(default_factory=dict, max_length=40)
    leave: tuple[StockId, ...] = Field(default=(), max_length=400)
    facing: ClothName | None = None
    modesty: ClothName | None = None
    binding: ClothName | None = None
    binding_joins: Annotated[int, Amount("the number of joins", 1, 40, whole=True)] | None = None
    done: dict[ClothName, CutDone] = Field(default_factory=dict, max_length=40)
