"""What the maker puts onto a garment and hangs from it (model, section 15)."""

from typing import Annotated, Literal

from pydantic import Field, model_validator

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Record, Text, at_field
from fuseau.craft.materials.cloths import ClothName

LineOn = Literal["top line", "hem", "waist", "seam", "channel", "drawn"]
HalfOf = Literal["both", "right", "left"]
Sewn = Literal["each by hand", "along by hand", "by machine", "stuck or painted"]
Ends = Literal["on both ends", "half a pitch in"]
Floss = Literal["bar", "cross", "fan", "arrow"]
CirclePart = Literal["half", "three quarter", "full", "double"]
Hemmed = Literal["rolled by machine", "by hand", "not hemmed"]
MOST_PITCH_MM = 500.0
Key = Annotated[str, Field(pattern=r"^[a-z][0-9]{1,4}$")]


class Spot(Record):
    """A place on the flat garment: the panel from CF, and the point on it as it lies, mm."""

    panel: Annotated[int, Field(ge=1, le=9)]
    x_mm: float = Field(ge=-2000, le=2000)
    z_mm: float = Field(ge=-2000, le=2000)


class TrimLine(Record):
    """A line on the garment: an edge, the waist, a seam (0 is CF, the last CB), a channel, or drawn through spots.

    Edges and the waist run from CF back, seams and channels from the top down. `in_mm` is how far inside an edge it
    lies; `begins_mm` and `ends_mm` what of its length is meant, from where it begins; None is all of it.
    """

    on: LineOn = "top line"
    seam: Annotated[int, Amount("the seam", 0, 9, whole=True)] | None = None
    channel: Annotated[str, Text(20)] | None = None
    spots: tuple[Spot, ...] = Field(default=(), max_length=60)
    half: HalfOf = "both"
    in_mm: Annotated[float, Length("how far inside the edge", 0, 300)] = 0.0
    begins_mm: Annotated[float, Length("where it begins on the line", 0, 3000)] | None = None
    ends_mm: Annotated[float, Length("where it ends on the line", 0, 3000)] | None = None

    @model_validator(mode="after")
    def _is_a_line(self) -> "TrimLine":
        if self.on == "seam" and self.seam is None:
            raise at_field("seam", "line.seam")
        if self.on == "channel" and not self.channel:
            raise at_field("channel", "line.channel")
        if self.on == "drawn" and len(self.spots) < 2:
            raise at_field("spots", "line.short")
        if self.begins_mm is not None and self.ends_mm is not None and self.ends_mm <= self.begins_mm:
            raise at_field("ends_mm", "line.ends")
        return self


class Along(Record):
    """Something along a line: pieces every `pitch_mm`, or without a pitch something that runs on, such as lace.

    `grams` and `price` are of a piece, or of a metre. `at_hand` counts pieces, `at_hand_mm` is of what runs on.
    """

    key: Key
    name: Annotated[str, Text(80, least=1)]
    line: TrimLine = TrimLine()
    pitch_mm: Annotated[float, Length("the pitch", 2, MOST_PITCH_MM)] | None = None
    ends: Ends = "on both ends"
    sewn: Sewn = "each by hand"
    turn_in_mm: Annotated[float, Length("what is turned in", 0, 60)] = 10.0
    grams: Annotated[float, Amount("the grams of it", 0, 500)] = 0.0
    price: Annotated[float, Amount("its price", 0, 1000)] = 0.0
    at_hand: Annotated[int, Amount("the pieces at hand", 0, 100_000, whole=True)] | None = None
    at_hand_mm: Annotated[float, Length("what is at hand", 0, 100_000)] | None = None
    detachable: bool = Field(default=False, description="On loops, so that it comes off for washing.")


class Area(Record):
    """Something over an area: embroidery, sequins, paint, or a lace motif of a size.

    On whole `panels`, or inside `spots` of one panel. `per_cm2`: pieces. `grams` and `price` are of a piece, or of a
    square centimetre of what has no pieces. A motif has its `wide_mm` and `high_mm`, and how many are wanted.
    """

    key: Key
    name: Annotated[str, Text(80, least=1)]
    how: Literal["pieces", "light embroidery", "dense embroidery", "motif", "paint"] = "pieces"
    panels: tuple[Annotated[int, Field(ge=1, le=9)], ...] = Field(default=(), max_length=9)
    spots: tuple[Spot, ...] = Field(default=(), max_length=60)
    half: HalfOf = "both"
    per_cm2: Annotated[float, Amount("pieces on a square centimetre", 0.01, 100)] = 1.0
    wide_mm: Annotated[float, Length("how wide the motif is", 5, 600)] = 60.0
    high_mm: Annotated[float, Length("how high the motif is", 5, 600)] = 60.0
    count: Annotated[int, Amount("how many motifs", 1, 200, whole=True)] = 2
    grams: Annotated[float, Amount("the grams of it", 0, 100)] = 0.0
    price: Annotated[float, Amount("its price", 0, 1000)] = 0.0
    at_hand: Annotated[float, Amount("what is at hand", 0, 1_000_000)] | None = None

    @model_validator(mode="after")
    def _is_somewhere(self) -> "Area":
        if 0 < len(self.spots) < 3:
            raise at_field("spots", "area.short")
        if len({spot.panel for spot in self.spots}) > 1:
            raise at_field("spots", "area.one_panel")
        return self


class Flossing(Record):
    """Flossing at the ends of bones: which pattern and size, at which ends and channels (none: all of them)."""

    key: Key
    pattern: Floss = "fan"
    high_mm: Annotated[float, Length("how high the flossing is", 5, 80)] = 20.0
    wide_mm: Annotated[float, Length("how wide the flossing is", 2, 40)] = 12.0
    strands: Annotated[int, Amount("strands of thread", 1, 6, whole=True)] = 1
    ends: Literal["top", "hem", "both"] = "both"
    channels: tuple[Annotated[str, Text(20)], ...] = Field(default=(), max_length=80)


class Tier(Record):
    """A tier of a frill or skirt: how deep it is when it hangs, and how much fuller than what it is sewn to."""

    depth_mm: Annotated[float, Length("the depth of a tier", 10, 1500)]
    fullness: Annotated[float, Amount("the fullness", 1.0, 6.0)] = 2.0


class Hanging(Record):
    """A frill along a line, or a skirt, peplum or apron: gathered in tiers, or cut as part of a circle.

    `at_hand_mm` is the length of cloth that there is for it; then the fullness of one tier follows. A `detached` one
    has a band of its own. `opens` is where it opens: it has to be where the bodice does.
    """

    key: Key
    name: Annotated[str, Text(80, least=1)] = "frill"
    line: TrimLine = TrimLine(on="hem")
    cut: Literal["gathered", "circle"] = "gathered"
    tiers: Annotated[tuple[Tier, ...], Field(min_length=1, max_length=8)] = (Tier(depth_mm=60.0),)
    part: CirclePart = "full"
    cloth: ClothName = "sateen"
    strips: Literal["across", "along"] = "across"
    hem: Hemmed = "rolled by machine"
    hem_mm: Annotated[float, Length("the hem", 0, 120)] = 10.0
    heading_mm: Annotated[float, Length("the heading", 0, 60)] = 0.0
    at_hand_mm: Annotated[float, Length("the cloth at hand", 50, 30_000)] | None = None
    opens: Literal["CF", "CB", "side", "nowhere"] | None = None
    own_band: bool = False
    more_grams: Annotated[float, Amount("what else hangs on it, in grams", 0, 20_000)] = 0.0


class Strap(Record):
    """A strap over the shoulder, or a band round the arm: from a point of the front edge to one of the back.

    `front_mm` and `back_mm` run along the top line from CF and from CB. `over_mm` is what the tape says between both,
    over the shoulder; without it, the shoulder's place (from the middle, and above the waist) gives it.
    """

    key: Key
    name: Annotated[str, Text(80, least=1)] = "strap"
    kind: Literal["strap", "halter", "off the shoulder"] = "strap"
    front_mm: Annotated[float, Length("where it begins in front", 0, 600)] = 90.0
    back_mm: Annotated[float, Length("where it ends behind", 0, 600)] = 80.0
    over_mm: Annotated[float, Length("the way over the shoulder", 100, 1200)] | None = None
    shoulder_out_mm: Annotated[float, Length("how far out the strap lies", 30, 300)] = 105.0
    shoulder_up_mm: Annotated[float, Length("the shoulder above the waist", 200, 600)] | None = None
    arm_mm: Annotated[float, Length("the girth of the arm", 150, 700)] | None = None
    wide_mm: Annotated[float, Length("how wide it is", 3, 200)] = 25.0
    ease_mm: Annotated[float, Length("the ease for raised arms", 0, 120)] = 15.0
    stretch_share: Annotated[float, Amount("how far it stretches, as a share", 0, 1)] = 0.0
    in_length_mm: Annotated[float, Length("what is sewn in at each end", 0, 80)] = 25.0


class Chain(Record):
    """A chain, cord or garland between two points: how far apart, how much lower the second, and how far it sags.

    Without a sag its length is given. `grams` and `price` of a metre; `count` alike ones.
    """

    key: Key
    name: Annotated[str, Text(80, least=1)] = "chain"
    span_mm: Annotated[float, Length("the span", 5, 3000)] = 200.0
    lower_mm: Annotated[float, Length("how much lower the second point is", 0, 2000)] = 0.0
    sag_mm: Annotated[float, Length("the sag", 0, 2000)] | None = 40.0
    length_mm: Annotated[float, Length("its length", 5, 6000)] | None = None
    count: Annotated[int, Amount("how many of them", 1, 100, whole=True)] = 1
    loops: bool = True
    loop_pitch_mm: Annotated[float, Length("the loops' pitch", 10, 200)] = 40.0
    grams: Annotated[float, Amount("the grams of a metre", 0, 5000)] = 0.0
    price: Annotated[float, Amount("its price by the metre", 0, 1000)] = 0.0

    @model_validator(mode="after")
    def _reaches(self) -> "Chain":
        if (self.sag_mm is None) == (self.length_mm is None):
            raise at_field("sag_mm", "chain.sag")
        straight = (self.span_mm**2 + self.lower_mm**2) ** 0.5
        if self.length_mm is not None and self.length_mm < straight - 1e-6:
            raise at_field("length_mm", "chain.short")
        return self


class TrimChoices(Record):
    """Everything that is put onto the garment and hangs from it."""

    along: tuple[Along, ...] = Field(default=(), max_length=60)
    areas: tuple[Area, ...] = Field(default=(), max_length=40)
    flossing: tuple[Flossing, ...] = Field(default=(), max_length=12)
    hanging: tuple[Hanging, ...] = Field(default=(), max_length=20)
    straps: tuple[Strap, ...] = Field(default=(), max_length=12)
    chains: tuple[Chain, ...] = Field(default=(), max_length=40)
    waist_stay: bool = Field(default=False, description="A tape inside, hooked round the waist, that bears the weight.")

    @model_validator(mode="after")
    def _keys_differ(self) -> "TrimChoices":
        keys = self.keys
        if len(set(keys)) != len(keys):
            raise at_field("along", "trims.numbered")
        return self

    @property
    def keys(self) -> tuple[str, ...]:
        """The keys of all of it."""
        groups = (self.along, self.areas, self.flossing, self.hanging, self.straps, self.chains)
        return tuple(one.key for group in groups for one in group)

    @property
    def anything(self) -> bool:
        """Whether there is any of it."""
        return bool(self.keys)
