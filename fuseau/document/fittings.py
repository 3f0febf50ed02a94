"""What is written down at a fitting: gaps, taps on the drawn wearer, pinches, edges, how she moved, photos.

Whatever is missing stays missing. Lengths are millimetres and may be text in the maker's words; heights are from the
zero line, up is positive.
"""

from typing import Annotated, Literal

from pydantic import Field, model_validator

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Day, Record, Text, at_field
from fuseau.craft.fit.target import Pull
from fuseau.craft.fitting.seen import Word
from fuseau.craft.materials.catalogue import BoneName
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.materials.stack import MOCK_UP_STACK, Stack
from fuseau.craft.pattern.places import Half
from fuseau.craft.wearer.measures import LevelName
from fuseau.craft.wearer.pads import Pads

Note = Annotated[str, Text(4000, lines=True)]
PictureShare = Annotated[float, Field(ge=0, le=1)]
View = Literal["front", "side", "back"]
MovementTest = Literal["sit", "bend", "breathe", "raise arms", "turn the head", "in alone", "out alone"]
MOST_STRETCH = 0.25
_ONE_PLACE_SHARE = 0.5  # of the shorter of two pinches; over more of it they are of one place
Closing = Literal["laced", "pinned", "open"]


class GapReading(Record):
    """The gap between the edges at a height on the back; from a photo with the spread of its marks.

    Below zero only where it was pinned: so much further in than the edges.
    """

    z_mm: Annotated[float, Length("a height on the back", -400, 400)]
    gap_mm: Annotated[float, Length("a gap", -150, 300)]
    spread_mm: Annotated[float, Length("the spread of a gap", 0.1, 60)] | None = None


class SaidAt(Record):
    """An answer in words at a level: how it sat there."""

    level: LevelName
    word: Word


class StandOff(Record):
    """How much stood off at a level (pinched out), or was missing (slashed open, below zero), in mm of girth."""

    level: LevelName
    off_mm: Annotated[float, Length("what stands off", -120, 120)]


class LacedGirth(Record):
    """A girth taped over the laced garment at a level."""

    level: LevelName
    girth_mm: Annotated[float, Length("a girth over the garment", 220, 2000)]


class UnderGirth(Record):
    """A girth taped round her under the laced garment at a level: what she is squeezed to."""

    level: LevelName
    girth_mm: Annotated[float, Length("a girth under the garment", 220, 2000)]


class StripTest(Record):
    """A strip of a cloth hung with a weight: how much longer a stretch marked on it became."""

    cloth: ClothName
    weight_kg: Annotated[float, Amount("the weight in kg", 0.05, 20)] = 1.0
    width_mm: Annotated[float, Length("the width of the strip", 10, 300)] = 50.0
    marked_mm: Annotated[float, Length("the stretch marked on the strip", 50, 1000)] = 200.0
    longer_mm: Annotated[float, Length("how much longer it became", 0, 400)]

    @property
    def share(self) -> float:
        """By what share it became longer."""
        return self.longer_mm / self.marked_mm

    @property
    def pull_n_per_m(self) -> float:
        """What it hung with, N per metre of width."""
        return self.weight_kg * 9.81 / (self.width_mm / 1000)

    @model_validator(mode="after")
    def _like_cloth(self) -> "StripTest":
        if self.share > MOST_STRETCH:
            raise at_field("longer_mm", "strip.stretch", share=self.share, most=MOST_STRETCH)
        return self


class GarmentLevel(Record):
    """A garment of hers at a level: its girth inside as she wears it, gap and all, and how it sits there."""

    level: LevelName
    girth_mm: Annotated[float, Length("the girth of a garment", 220, 2000)]
    word: Word = "right"


class FittingGarment(Record):
    """A garment of hers that fits: what it measures, and how it sits, tell of her body as a fitting does."""

    name: Annotated[str, Text(80)] = ""
    levels: tuple[GarmentLevel, ...] = Field(min_length=1, max_length=10)

    @model_validator(mode="after")
    def _each_once(self) -> "FittingGarment":
        seen: set[str] = set()
        for k, level in enumerate(self.levels):
            if level.level in seen:
                raise at_field(f"levels.{k}.level", "level.twice")
            seen.add(level.level)
        return self


class Tap(Record):
    """A place touched on the drawn wearer: what it does there, and by how much where that can be said.

    `across` is from the left of her outline as drawn at that height (0) to its right (1), which is from CF to CB where
    she is seen from the side;
    `off_mm` is girth that stands off there. `half` tells what only one of her sides needs.
    """

    view: View
    z_mm: Annotated[float, Length("a height on the body", -500, 500)]
    across: PictureShare = 0.5
    word: Word
    off_mm: Annotated[float, Length("what stands off", 0, 120)] | None = None
    half: Half = "both"


class Pinch(Record):
    """Pinched out of a named seam between two heights, or slashed open (below zero): mm at its peak, on each half.

    What only one half needed is of that half.
    """

    seam: int = Field(ge=0, le=9, description="Seam k joins panels k and k + 1.")
    from_mm: Annotated[float, Length("where a pinch begins", -400, 400)]
    to_mm: Annotated[float, Length("where a pinch ends", -400, 400)]
    amount_mm: Annotated[float, Length("a pinch", -60, 60)]
    half: Half = "both"

    def at_one_place(self, other: "Pinch") -> bool:
        """Whether another is of the same seam and half, and over most of the same height."""
        if self.seam != other.seam or ("both" not in (self.half, other.half) and self.half != other.half):
            return False
        mine, its = sorted((self.from_mm, self.to_mm)), sorted((other.from_mm, other.to_mm))
        shared = min(mine[1], its[1]) - max(mine[0], its[0])
        return shared > _ONE_PLACE_SHARE * min(mine[1] - mine[0], its[1] - its[0])


class EdgeSaid(Record):
    """An edge that sits too high (above zero) or too low, by so much at one place."""

    edge: Literal["top", "hem"]
    place: Literal["CF", "side", "CB"]
    off_mm: Annotated[float, Length("how far an edge is off", -80, 80)]


class Moved(Record):
    """Something she did in it, and how that went."""

    test: MovementTest
    went: Literal["well", "hard", "not"]


PhotoPoint = tuple[PictureShare, PictureShare]


class BackPhoto(Record):
    """A picture of the back with its marks: points (x, y) from its top left, as shares of its width and height.

    `scale`: two points a known distance apart, or the four corners of a rectangle, from the top left round by the
    right. `waist`: where the zero line crosses the gap. `rows`: left and right edge, at some heights.
    """

    id: Annotated[str, Field(pattern=r"^[0-9a-f]{64}$", description="SHA-256 of the picture's bytes.")]
    name: Annotated[str, Text(120)] = ""
    width_px: int = Field(ge=1, le=4000)
    height_px: int = Field(ge=1, le=4000)
    scale: tuple[PhotoPoint, ...] = Field(default=(), max_length=4)
    known_mm: Annotated[float, Length("the distance on the picture", 10, 3000)] | None = None
    known_high_mm: Annotated[float, Length("the rectangle's height", 10, 3000)] | None = None
    waist: PhotoPoint | None = None
    rows: tuple[tuple[PhotoPoint, PhotoPoint], ...] = Field(default=(), max_length=20)


class MockUp(Record):
    """What mock-ups are made of."""

    stack: Stack = MOCK_UP_STACK
    edge_bone: BoneName = "cable_tie_8"
    boned: bool = True
    closing: Closing = "laced"
    strip: bool = Field(default=True, description="A strip with grommets, basted on and used again.")


class AlsoLaced(Record):
    """Another lacing of the same evening, pulled otherwise: it tells a girth from a give for two minutes' work."""

    pull: Pull = "light"
    readings: tuple[GapReading, ...] = Field(default=(), max_length=40)
    words: tuple[SaidAt, ...] = Field(default=(), max_length=12)
    laced: tuple[LacedGirth, ...] = Field(default=(), max_length=12)


class Fitting(Record):
    """One trying-on of a mock-up: what it had, how hard it was pulled, and what was seen."""

    number: int = Field(ge=1)
    version: int = Field(ge=1)
    tried_on: Day | None = None
    pull: Pull = "close"
    made_of: MockUp = MockUp()
    pads: Pads = Field(default=(), description="The padding that she had under it.")
    finished: bool = Field(default=False, description="The finished garment was tried on, and no mock-up.")
    under: Annotated[str, Text(400, lines=True), Field(description="What she wore under it.")] = ""
    readings: tuple[GapReading, ...] = Field(default=(), max_length=40)
    words: tuple[SaidAt, ...] = Field(default=(), max_length=12)
    stand_offs: tuple[StandOff, ...] = Field(default=(), max_length=12)
    laced: tuple[LacedGirth, ...] = Field(default=(), max_length=12)
    under_it: tuple[UnderGirth, ...] = Field(default=(), max_length=12)
    also: tuple[AlsoLaced, ...] = Field(default=(), max_length=2, description="Lacings before or after, as pulled.")
    taps: tuple[Tap, ...] = Field(default=(), max_length=60)
    pinches: tuple[Pinch, ...] = Field(default=(), max_length=24)
    edges: tuple[EdgeSaid, ...] = Field(default=(), max_length=6)
    rides_mm: Annotated[float, Length("how far the waist rides", -80, 80)] | None = Field(
        default=None, description="How far above her waist the garment's waist sits."
    )
    swings_mm: Annotated[float, Length("how far the side seam swings", -80, 80)] | None = Field(
        default=None, description="How far to the front of where it should be the side seam hangs."
    )
    moved: tuple[Moved, ...] = Field(default=(), max_length=7)
    photos: tuple[BackPhoto, ...] = Field(default=(), max_length=8)
    hours: Annotated[float, Amount("work on a mock-up in hours", 0, 200)] | None = None
    cost: Annotated[float, Amount("what its material cost", 0, 10000)] | None = Field(
        default=None, description="In the workshop's money."
    )
    note: Note = ""
    corrected: int = Field(default=0, ge=0, description="How often it was corrected after it was logged.")

    @model_validator(mode="after")
    def _says_each_once(self) -> "Fitting":
        for field, key in (("edges", lambda one: (one.edge, one.place)), ("moved", lambda one: one.test)):
            seen = set()
            for k, one in enumerate(getattr(self, field)):
                if key(one) in seen:
                    raise at_field(f"{field}.{k}", "said.twice")
                seen.add(key(one))
        for k, pinch in enumerate(self.pinches):
            if abs(pinch.from_mm - pinch.to_mm) < 10:
                raise at_field(f"pinches.{k}.to_mm", "pinch.short")
            for other in self.pinches[:k]:
                if pinch.at_one_place(other):
                    same = pinch.amount_mm * other.amount_mm > 0
                    code = "pinch.twice" if same else "pinch.both"
                    raise at_field(f"pinches.{k}.amount_mm", code)
        return self
