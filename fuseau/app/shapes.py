"""What goes over the wire, beside the Build and the Plan."""

import datetime
from typing import Any, Literal

from pydantic import BaseModel, Field

from fuseau.build import Build, Fault
from fuseau.craft.alterations import Comparison
from fuseau.craft.findings import Change, Stage
from fuseau.craft.layers import Stack
from fuseau.craft.lengths import Unit
from fuseau.craft.target import Pull
from fuseau.craft.trueing import LaidPanel
from fuseau.files.paper import Paper
from fuseau.planned import Plan
from fuseau.thread import Thread

Theme = Literal["light", "dark"]


class Trouble(BaseModel):
    """The one shape of every error: a sentence, faults at their fields, and what changed since (stale edits)."""

    sentence: str
    faults: list[Fault] = Field(default_factory=list)
    changed: list[str] = Field(default_factory=list)


class Sheet(BaseModel):
    """A build with its plan, and its place in its history."""

    id: str
    revision: int
    archived: bool
    undoes: str | None
    redoes: str | None
    build: Build
    plan: Plan
    thread: Thread


class Line(BaseModel):
    """A build as the workshop lists it."""

    id: str
    revision: int
    name: str
    character: str
    wearer: str
    kind: str
    needed_on: datetime.date | None
    archived: bool
    version: int | None
    fittings: int
    next_stage: Stage
    next_step: str
    silhouette: list[list[tuple[float, float]]]


class Past(BaseModel):
    """A line of a build's history."""

    revision: int
    label: str
    made_at: datetime.datetime
    present: bool


class House(BaseModel):
    """Settings of the workshop."""

    unit: Unit = "cm"
    theme: Theme = "light"
    paper: Paper = "a4"


class NewBuild(BaseModel):
    """A build to make."""

    name: str = Field(min_length=1, max_length=120)
    character: str = Field(default="", max_length=120)


class Edit(BaseModel):
    """Fields to set, made on a revision. A length may be text in the maker's words."""

    revision: int
    changes: list[Change] = Field(min_length=1, max_length=60)
    label: str = Field(default="", max_length=200)


class Trial(BaseModel):
    """Fields to set without keeping them, to see what would follow."""

    changes: list[Change] = Field(min_length=1, max_length=60)


class OnRevision(BaseModel):
    """The revision that a step is taken on."""

    revision: int


class Restoring(OnRevision):
    """An earlier revision to bring back."""

    to: int


class NextVersion(OnRevision):
    """Cut the first version, accept the proposed one, or go back to an old one (`to`)."""

    what: Literal["cut", "accept", "back"]
    to: int | None = None


class Compared(BaseModel):
    """Two versions beside each other: what changed, and the other one laid flat."""

    before: int
    after: int
    comparison: Comparison
    before_panels: list[LaidPanel]


class WrittenLevel(BaseModel):
    """Widths of all panels at a level as written, CF to CB: lengths as text or mm."""

    name: str
    widths_mm: list[str | float] = Field(max_length=20)


class TypedIn(OnRevision):
    """A pattern typed in by its widths."""

    levels: list[WrittenLevel] = Field(max_length=10)
    front_panels: int


class WrittenReading(BaseModel):
    """A gap reading as written: lengths as text or mm."""

    z_mm: str | float
    gap_mm: str | float


class WrittenMadeOf(BaseModel):
    """What the mock-up that was tried on was made of, when it differs from the plan."""

    stack: Stack
    edge_bone: str


class NewFitting(OnRevision):
    """A fitting to log."""

    pull: Pull
    readings: list[WrittenReading] = Field(max_length=40)
    note: str = Field(default="", max_length=4000)
    made_of: WrittenMadeOf | None = None

    def written(self) -> dict[str, Any]:
        """As `log_fitting` takes it."""
        return self.model_dump(exclude={"revision"}, exclude_none=True)


class Choice(BaseModel):
    """A thing that can be chosen: its key and how it is called."""

    name: str
    label: str


class HouseNumber(BaseModel):
    """A house number with its reason and range."""

    name: str
    reason: str
    usual: float
    low: float
    high: float


class Catalogue(BaseModel):
    """What can be chosen, and the house numbers."""

    bones: list[Choice]
    cloths: list[Choice]
    numbers: list[HouseNumber]
