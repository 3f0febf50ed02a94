"""What she writes of a finished garment: what she likes, what she would change, each time it was worn (model, 14)."""

import datetime
from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Record, Text

Comfort = Literal["easy", "fine", "tiring", "hurt"]


class Wear(Record):
    """A time that it was worn: when, how long, how hot it was, the gap it was laced to, how it felt, what gave way."""

    on: datetime.date
    hours: Annotated[float, Amount("the hours it is worn", 0, 24)] | None = None
    heat: Literal["cool", "warm", "hot"] | None = None
    gap_mm: Annotated[float, Length("the gap it was worn with", 0, 400)] | None = None
    comfort: Comfort | None = None
    note: Annotated[str, Text(600)] = ""
    gave_way: Annotated[str, Text(200)] = ""


class RecordChoices(Record):
    """The card in her own words: `finished_on` None while it is not done."""

    finished_on: datetime.date | None = None
    likes: tuple[Annotated[str, Text(300, least=1)], ...] = Field(default=(), max_length=30)
    would_change: tuple[Annotated[str, Text(300, least=1)], ...] = Field(default=(), max_length=30)
    wears: tuple[Wear, ...] = Field(default=(), max_length=200)
