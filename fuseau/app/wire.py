"""What goes over the wire, beside the Build and the Plan."""

import datetime
from typing import TYPE_CHECKING, Annotated, Any, Literal, TypeAlias, Union

from pydantic import BaseModel, Field

from fuseau.app.written import Written, as_written
from fuseau.craft.base.findings import Change, Finding, Stage
from fuseau.craft.base.lengths import Unit
from fuseau.craft.base.record import Day, Sent, Text
from fuseau.craft.making.hours import Hours
from fuseau.craft.materials.catalogue import BoneKind, BoneName, BuskStock, Material
from fuseau.craft.materials.cloths import Cloth, Role
from fuseau.craft.pattern.alterations import Comparison
from fuseau.craft.pattern.hand_edits import HAND_EDITS
from fuseau.craft.pattern.places import Half
from fuseau.craft.pattern.traced_outlines import Misfit, TracedPattern
from fuseau.craft.pattern.trueing import LaidPanel, TruedSeam
from fuseau.craft.wearer.garment_kinds import GarmentKind, KindName
from fuseau.craft.wearer.measures import LevelName
from fuseau.document.build import Build, Fault
from fuseau.document.fitting_fields import FittingField
from fuseau.document.fittings import Fitting
from fuseau.files.paper import Paper
from fuseau.planning.plan import Plan
from fuseau.planning.stages.brief import Consequence
from fuseau.planning.thread import Thread

Theme = Literal["light", "dark"]

_NOT_WRITTEN = frozenset({"number", "tried_on", "corrected"})
if TYPE_CHECKING:
    WrittenEdit: TypeAlias = BaseModel
    WrittenFitting: TypeAlias = BaseModel
    WrittenBone: TypeAlias = BaseModel
    WrittenCloth: TypeAlias = BaseModel
else:
    WrittenEdit = Annotated[Union[tuple(map(as_written, HAND_EDITS))], Field(discriminator="kind")]  # noqa: UP007
    WrittenFitting = as_written(Fitting, leave_out=_NOT_WRITTEN, optional=frozenset({"version"}))
    WrittenBone = as_written(BoneKind, optional=frozenset({"name"}))
    WrittenCloth = as_written(Cloth, optional=frozenset(Cloth.model_fields), called="WrittenOwnCloth")
_BLANK_FITTING = Fitting(number=1, version=1).model_dump(mode="json", exclude={*_NOT_WRITTEN, "version", "made_of"})


Revision = Annotated[int, Field(ge=0, le=2**53)]  # what a page can hold as a number


class Trouble(Sent):
    """The one shape of every error: a sentence, faults at their fields, what changed since, a log number."""

    sentence: str
    faults: list[Fault] = Field(default_factory=list)
    changed: list[str] = Field(default_factory=list)
    log: str | None = Field(default=None, description="Where the log tells more of something unexpected.")


class OpenBuild(Sent):
    """A build with its plan, and its place in its history."""

    id: str
    revision: int
    archived: bool
    undoes: str | None
    redoes: str | None
    build: Build
    plan: Plan
    thread: Thread
    job: str
    consequences: list[Consequence]
    ticked_bones: list[BoneName] = Field(description="Kinds of bones that were ticked off as cut while making.")
    newer: "BookMeasuring | None"
    taught: list[Finding] = Field(description="What her other garments taught for this one, and where they meet it.")


class Past(Sent):
    """A line of a build's history."""

    revision: int
    label: str
    made_at: datetime.datetime
    present: bool


class Line(Sent):
    """A build as the workshop lists it; one that can't be read or worked out has its `trouble`, and little else.

    `whole`: the newest of its earlier states that can be read.
    """

    id: str
    revision: int
    name: str
    character: str = ""
    wearer: str = ""
    kind: str = ""
    picture: str | None = None
    needed_on: datetime.date | None
    archived: bool
    version: int | None = None
    fittings: int = 0
    next_stage: Stage = "brief"
    next_step: str = ""
    silhouette: list[list[tuple[float, float]]] = Field(default_factory=list)
    trouble: str | None = None
    whole: Past | None = None


class House(Sent):
    """Settings of the workshop."""

    unit: Unit = "cm"
    theme: Theme = "light"
    paper: Paper = "a4"
    hours: Hours = Hours()
    known: tuple[Stage, ...] = Field(default=(), max_length=20, description="Stages that she has worked in.")


class NewBuild(Sent):
    """A build to make."""

    name: Annotated[str, Text(120, least=1)]
    character: Annotated[str, Text(120)] = ""
    kind: KindName = "underbust corset"


class SetFields(Sent):
    """Fields to set, made on a revision. A length may be text in the maker's words."""

    revision: Revision
    changes: list[Change] = Field(min_length=1, max_length=120)
    label: Annotated[str, Text(200)] = ""


class Trial(Sent):
    """Fields to set without keeping them, to see what would follow."""

    changes: list[Change] = Field(min_length=1, max_length=60)


class OnRevision(Sent):
    """The revision that a step is taken on."""

    revision: Revision


class Restoring(OnRevision):
    """An earlier revision to bring back."""

    to: Revision


class NextVersion(OnRevision):
    """Cut the first version, accept the proposed one, go back to an old one (`to`), or fix the one drawn on."""

    what: Literal["cut", "accept", "back", "fix"]
    to: Revision | None = None


class Compared(Sent):
    """Two versions beside each other: what changed, and the other one laid flat."""

    before: int
    after: int
    comparison: Comparison
    before_panels: list[LaidPanel]


class WrittenWidths(Sent):
    """Widths of all panels at a level as written, CF to CB: lengths as text or mm."""

    name: str
    widths_mm: list[Written] = Field(max_length=20)


class TypedIn(OnRevision):
    """A pattern typed in by its widths."""

    levels: list[WrittenWidths] = Field(max_length=10)
    front_panels: int


class EditPreview(Sent):
    """Edits of the pattern as written: each has a `kind`, and lengths as text or mm."""

    edits: list[WrittenEdit] = Field(min_length=1, max_length=40)

    def written(self) -> list[dict[str, Any]]:
        """As `edit_pattern` takes them."""
        return [edit.model_dump(mode="json", exclude_unset=True) for edit in self.edits]


class PatternEdits(EditPreview):
    """Edits to keep, made on a revision."""

    revision: Revision


class EditedPattern(Sent):
    """The pattern after edits, laid flat and trued, and the sewn girth at every level."""

    panels: list[LaidPanel]
    left_panels: list[LaidPanel] | None
    sewn_mm: dict[str, float]
    seams: list[TruedSeam]


class Refitting(OnRevision):
    """The build whose pattern is to be refitted."""

    source: str = Field(max_length=32)


class Traced(OnRevision):
    """Traced pieces to keep, and the name of their drawing."""

    traced: TracedPattern
    name: Annotated[str, Text(200)] = ""


class TracedAnswer(Sent):
    """What is odd about traced pieces, where their corners lie on the drawing, and the girths they make."""

    misfits: list[Misfit]
    corners: dict[int, list[tuple[float, float]]]
    sewn_mm: dict[str, float]


class BookMeasuring(Sent):
    """One measuring in the book."""

    id: str
    taken_on: datetime.date


class RestingBuild(Sent):
    """A build that rests on a measuring; `newest` if there is none newer."""

    id: str
    name: str
    taken_on: datetime.date
    newest: bool


class BookEntry(Sent):
    """A wearer in the book; `damaged` of her measurings can't be read any more."""

    id: str
    name: str
    measurings: list[BookMeasuring]
    damaged: int
    builds: list[RestingBuild]


class KeepMeasures(OnRevision):
    """Keep a build's measures in the book, as of a day."""

    taken_on: Day | None = None


class TakeMeasures(OnRevision):
    """Take a measuring from the book."""

    measuring_id: str = Field(max_length=32)


class LevelMoved(Sent):
    """A girth before and after, mm."""

    name: LevelName
    before_mm: float
    after_mm: float


class Remeasured(Sent):
    """What another measuring would change, from the top down."""

    measuring_id: str
    taken_on: datetime.date
    body: list[LevelMoved]
    sewn: list[LevelMoved]


class NewFitting(OnRevision, WrittenFitting):
    """A fitting to log: fields of `Fitting`, with lengths as text or mm. What is missing stays missing."""

    def written(self) -> dict[str, Any]:
        """As `log_fitting` takes it: what is None is not said."""
        return self.model_dump(mode="json", exclude={"revision"}, exclude_none=True)

    def corrected(self) -> dict[str, Any]:
        """As `correct_fitting` takes it: what is not said is taken back, but for its make and version."""
        said = self.model_dump(mode="json", exclude={"revision"}, exclude_unset=True)
        return {**_BLANK_FITTING, **{name: one for name, one in said.items() if one is not None}}


class SetLine(OnRevision):
    """One line of the proposed change by hand; without amounts it goes back, without a seam all lines do.

    It is at a level, or at the place of a line that has that peak, on that half.
    """

    seam: int | None = None
    level: LevelName | None = None
    half: Half | None = None
    peak_mm: float | None = None
    cf_side_mm: Written | None = None
    cb_side_mm: Written | None = None

    def written(self) -> dict[str, Any] | None:
        """As `set_line` takes it."""
        return None if self.seam is None else self.model_dump(exclude={"revision"})


class KeptPhoto(Sent):
    """A photo as it is kept."""

    id: str
    width_px: int
    height_px: int


class Named(Sent):
    """A thing that can be chosen: its key and how it is called."""

    name: str
    label: str


class KeepKind(OnRevision):
    """A kind of bone to keep in the build's catalogue, as written: lengths as text or mm. Without a name it is new."""

    kind: WrittenBone


class PutPly(OnRevision):
    """A ply to put in: what it does."""

    role: Role


class TakePly(OnRevision):
    """A ply to take out, by its place from the skin out."""

    at: int = Field(ge=0, le=7)


class MovePly(TakePly):
    """A ply to move one place further out, or in."""

    outward: bool


class KeepCloth(OnRevision):
    """A cloth to keep in the build's catalogue, as written; what is not written is as the cloth of the `ply` it is for.

    Without a name it is new.
    """

    cloth: WrittenCloth
    ply: int | None = Field(default=None, ge=0, le=7)


class HouseNumber(Sent):
    """A house number with its reason and range."""

    name: str
    reason: str
    usual: float
    low: float
    high: float


class LevelInfo(Sent):
    """A level: how it is called and measured, and which zero line its heights go from (+1 above, −1 below)."""

    name: LevelName
    label: str
    how: str
    zero: str
    sign: int


class Catalogue(Sent):
    """What can be chosen, the levels of a body, and the house numbers."""

    kinds: list[GarmentKind]
    levels: list[LevelInfo]
    bones: list[BoneKind]
    materials: list[Material] = Field(description="What a bone of her own can be made of.")
    busks: list[BuskStock]
    holes: list[Named]
    laces: list[Named]
    cloths: list[Cloth]
    fitting: tuple[FittingField, ...] = Field(description="What is asked of a fitting.")
    numbers: list[HouseNumber]
