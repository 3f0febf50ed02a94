"""What goes over the wire of the making: steps, the clock, the log, and the work of the whole workshop."""

import datetime
from typing import TYPE_CHECKING, Annotated, TypeAlias

from pydantic import BaseModel, Field

from fuseau.app.wire import OnRevision
from fuseau.app.written import Written, as_written
from fuseau.craft.base.findings import Change
from fuseau.craft.base.record import Day, Sent, Text
from fuseau.craft.making.choices import LogEntry, OwnStep
from fuseau.craft.making.steps import StepKey
from fuseau.planning.stages.make import MakePlan
from fuseau.planning.workshop.gains import Gain

if TYPE_CHECKING:
    WrittenOwn: TypeAlias = BaseModel
    WrittenEntry: TypeAlias = BaseModel
else:
    WrittenOwn = as_written(OwnStep, optional=frozenset(OwnStep.model_fields))
    WrittenEntry = as_written(LogEntry, leave_out=frozenset({"works"}), optional=frozenset({"on"}))


class MakeSeen(Sent):
    """The making of a build, and the day it is."""

    make: MakePlan
    today: datetime.date


class OfStep(OnRevision):
    """Something done to a step."""

    step: StepKey


class DoStep(OfStep):
    """A step that is done. `also`: what it needs was done too; `anyhow`: it was got in although it was shut out."""

    also: bool = False
    anyhow: bool = False


class LeaveOut(OfStep):
    """A step that is left out, and why."""

    because: Annotated[str, Text(200)] = ""


class Appoint(OfStep):
    """A day on which a step is done because somebody comes; none: on no day in particular."""

    on: Day | None = None
    note: Annotated[str, Text(200)] = ""


class Reorder(OnRevision):
    """The steps in her own order; none: as usual."""

    order: list[StepKey] = Field(max_length=500)


class PutOwn(OnRevision):
    """A step of her own, as written; with a `key` another version of that one."""

    own: WrittenOwn


class StopClock(OnRevision):
    """The clock stopped: the minutes it really took, where that is not what it ran; `drop`: nothing is written down."""

    minutes: Written | None = None
    note: Annotated[str, Text(600)] = ""
    mishap: Annotated[str, Text(200)] = ""
    done: bool = False
    drop: bool = False


class PutEntry(OnRevision):
    """An entry of the log, as written."""

    entry: WrittenEntry


class OfEntry(OnRevision):
    """An entry of the log, by its place."""

    at: int = Field(ge=0, le=4000)


class Gains(Sent):
    """What would buy odds, the most first."""

    gains: list[Gain]


class TakeGain(OnRevision):
    """A choice that saves time, to take: fields to set, and steps to leave out."""

    title: Annotated[str, Text(200)] = ""
    changes: list[Change] = Field(default_factory=list, max_length=40)
    leave_out: list[StepKey] = Field(default_factory=list, max_length=100)
