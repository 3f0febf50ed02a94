"""What she writes of a finished garment: what she likes, what she would change, each time it was worn (model, 14)."""

from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Day, Record, Text

Comfort = Literal["easy", "fine", "tiring", "hurt"]
View = Literal["front", "side", "back", "detail"]


class Photo(Record):
    """A photo that the workshop keeps under `id`, with its size in pixels."""

    id: Annotated[str, Field(pattern=r"^[0-9a-f]{64}$", description="SHA-256 of the picture's bytes.")]
    name: Annotated[str, Text(120)] = ""
    width_px: int = Field(ge=1, le=4000)
    height_px: int = Field(ge=1, le=4000)


class GarmentPhoto(Photo):
    """A photo of the garment, and from where it was taken."""

    view: View = "front"


class Wear(Record):
    """A time that it was worn: when, how long, how hot it was, the gap it was laced to, how it felt, what gave way."""

    on: Day
    hours: Annotated[float, Amount("the hours it is worn", 0, 24)] | None = None
    heat: Literal["cool", "warm", "hot"] | None = None
    gap_mm: Annotated[float, Length("the gap it was worn with", 0, 400)] | None = None
    comfort: Comfort | None = None
    note: Annotated[str, Text(600)] = ""
    gave_way: Annotated[str, Text(200)] = ""


class RecordChoices(Record):
    """The card in her own words: `finished_on` None while it is not done."""

    finished_on: Day | None = None
    likes: tuple[Annotated[str, Text(300, least=1)], ...] = Field(default=(), max_length=30)
    would_change: tuple[Annotated[str, Text(300, least=1)], ...] = Field(default=(), max_length=30)
    wears: tuple[Wear, ...] = Field(default=(), max_length=200)
    photos: tuple[GarmentPhoto, ...] = Field(default=(), max_length=24)
