"""What the maker decides of bones: where channels lie and how they are made, what lies where, what is cut."""

from typing import Annotated, Literal

from pydantic import Field, model_validator

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Record, Text, at_field
from fuseau.craft.materials.catalogue import BoneName, School
from fuseau.craft.plies.methods import ChannelMade

EndsClosed = Literal["tips", "dip"]
OneHalf = Literal["right", "left"]
SeamPlace = Literal["on", "CF side", "CB side", "both sides", "none"]

Across = Annotated[float, Amount("a place across its panel, as a share of the width,", 0.02, 0.98)]
ChannelLabel = Annotated[str, Text(12)]
LETTERS = "abcdefghijklmnopqrstuvwxyz"  # channels of one panel
Letter = Annotated[str, Field(pattern="^[a-z]$")]
Height = Annotated[float, Length("a height of a channel", -500, 500)]


class Between(Record):
    """A channel between the seams of a panel, at a share of its width; from hem to top line, or only so far."""

    panel: int = Field(ge=1, le=9)
    letter: Letter
    across: Across
    from_mm: Height | None = None
    to_mm: Height | None = None

    @property
    def label(self) -> str:
        """How the channel is called: 3a."""
        return f"{self.panel}{self.letter}"


class Through(Record):
    """A point that a shaped channel goes through."""

    across: Across
    z_mm: Height


class Shaped(Record):
    """A channel drawn through points of its panel, from the lowest up."""

    panel: int = Field(ge=1, le=9)
    letter: Letter
    points: tuple[Through, ...] = Field(min_length=2, max_length=12)

    @model_validator(mode="after")
    def _rises(self) -> "Shaped":
        heights = [point.z_mm for point in self.points]
        for i, (lower, upper) in enumerate(zip(heights, heights[1:], strict=False)):
            if upper - lower < 5:
                raise at_field(f"points.{i + 1}.z_mm", "channel.up")
        return self

    @property
    def label(self) -> str:
        """How the channel is called: 3b."""
        return f"{self.panel}{self.letter}"


class CutBone(Record):
    """A bone that has been cut: for which channel, of what, how long; where no half is named, one for each half."""

    channel: ChannelLabel
    half: OneHalf | None = None
    kind: BoneName
    length_mm: Annotated[float, Length("a bone", 10, 1500, hardware=True)]
    count: int = Field(default=1, ge=1, le=2)


class BoneChoices(Record):
    """Where channels lie, what they are made in, and which kind of bone lies where.

    `sides`, `between_seams`: None is as `seams`; `every_second` takes turns with those on the seams. `curved` takes the
    place of all of these where they can't follow the channel (None: it is told). `by_channel`, `made_by_channel` and
    `clearance_by_channel` override single channels, by their label. A `between` of None lets the channels between seams
    follow from the width of the panels.
    """

    lacing_edge: BoneName = "flat_12"
    beside_busk: BoneName = "flat_6"
    seams: BoneName = "spiral_6"
    sides: BoneName | None = None
    every_second: BoneName | None = None
    between_seams: BoneName | None = "flat_6"
    curved: BoneName | None = "spiral_6"
    by_channel: dict[ChannelLabel, BoneName] = Field(default_factory=dict, max_length=80)
    on_seams: dict[ChannelLabel, SeamPlace] = Field(default_factory=dict, max_length=20)
    between: tuple[Between, ...] | None = Field(default=None, max_length=60)
    shaped: tuple[Shaped, ...] = Field(default=(), max_length=24)
    doubled: tuple[ChannelLabel, ...] = Field(default=(), max_length=80)
    over_gussets: bool = False
    made: ChannelMade = "between plies"
    made_by_channel: dict[ChannelLabel, ChannelMade] = Field(default_factory=dict, max_length=80)
    clearance_by_channel: dict[
        ChannelLabel, Annotated[float, Length("the clearance at a bone's ends", 0, 120, hardware=True)]
    ] = Field(default_factory=dict, max_length=80, description="From each end of a bone to that of its channel.")
    ends: EndsClosed = Field(default="tips", description="How cut ends of steel are closed.")
    cut: tuple[CutBone, ...] = Field(default=(), max_length=80, description="Bones of one half that are cut.")
    cut_version: int | None = None

    @model_validator(mode="after")
    def _called_once(self) -> "BoneChoices":
        seen: set[str] = set()
        loose: list[tuple[str, Between | Shaped]] = [
            (f"between.{i}", channel) for i, channel in enumerate(self.between or ())
        ]
        loose += [(f"shaped.{i}", channel) for i, channel in enumerate(self.shaped)]
        for at, channel in loose:
            if channel.label in seen:
                raise at_field(f"{at}.letter", "channel.twice", channel=channel.label)
            seen.add(channel.label)
        return self

    def of_the_edge(self) -> "BoneChoices":
        """Only what the stiffness of the lacing edge depends on."""
        edge = ("CB outer", "CB inner")
        return BoneChoices(
            lacing_edge=self.lacing_edge,
            by_channel={label: kind for label, kind in self.by_channel.items() if label in edge},
            doubled=tuple(label for label in self.doubled if label in edge),
        )

    def taught(self, school: School) -> "BoneChoices":
        """The same channels, boned as a school does."""
        alone: dict[str, object] = {"by_channel": {}, "every_second": None}
        return self.model_copy(update=school.model_dump(exclude={"name", "why"}) | alone)

    def is_of(self, school: School) -> bool:
        """Whether the kinds are those of a school."""
        wanted = school.model_dump(exclude={"name", "why"})
        here = {**self.model_dump(include=set(wanted)), "sides": self.sides or self.seams}
        here["between_seams"] = self.between_seams or self.seams
        return here == wanted and not self.by_channel and self.every_second is None
