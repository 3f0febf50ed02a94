"""What the maker decides and writes down while she sews: what is done, left out, in which order, how long (13)."""

from typing import Annotated, Literal

from pydantic import Field, NaiveDatetime, model_validator

from fuseau.craft.base.record import Amount, Day, Record, Text, at_field
from fuseau.craft.making.record_choices import Photo
from fuseau.craft.making.steps import StepKey
from fuseau.craft.materials.minutes import Work

Times = Annotated[float, Field(ge=0, le=10_000)]
Binding = Literal["by hand", "by machine"]
MOST_MINUTES = 16 * 60


class Done(Record):
    """A step that is done, and when."""

    step: StepKey
    on: Day


class LeftOut(Record):
    """A step that is left out, and why."""

    step: StepKey
    because: Annotated[str, Text(200)] = ""


class OwnStep(Record):
    """A step of her own: after which steps, and before which."""

    key: Annotated[str, Field(pattern=r"^own [0-9]{1,4}$")]
    name: Annotated[str, Text(120, least=1)]
    minutes: Annotated[float, Amount("the minutes of a step", 1, 6000)] = 30.0
    waits_h: Annotated[float, Amount("the hours it has to wait", 0, 1000)] = 0.0
    after: tuple[StepKey, ...] = Field(default=(), max_length=80)
    before: tuple[StepKey, ...] = Field(default=(), max_length=80)


class LogEntry(Record):
    """Time on a step: on which day, how many minutes of hands on it, a note; and what went wrong, if something did.

    `works` is what the step was then, so that it still tells her pace when the garment has changed.
    """

    step: StepKey
    on: Day
    minutes: Annotated[float, Amount("the minutes at one go", 0, MOST_MINUTES)]
    note: Annotated[str, Text(600)] = ""
    mishap: Annotated[str, Text(200)] = ""
    works: tuple[tuple[Work, Times], ...] = Field(default=(), max_length=20)
    photos: tuple[Photo, ...] = Field(default=(), max_length=8)


class Running(Record):
    """The step whose clock runs, and since when by the clock of the workshop."""

    step: StepKey
    since: NaiveDatetime


class Appointment(Record):
    """A day on which a step is done because somebody has to be there, and where, when, with whom."""

    step: StepKey
    on: Day
    note: Annotated[str, Text(200)] = ""


class MakeChoices(Record):
    """Everything decided and written down of the making. `order` is as near as she wants the steps; none: as usual."""

    binding: Binding = "by hand"
    done: tuple[Done, ...] = Field(default=(), max_length=400)
    left_out: tuple[LeftOut, ...] = Field(default=(), max_length=100)
    own: tuple[OwnStep, ...] = Field(default=(), max_length=60)
    order: tuple[StepKey, ...] = Field(default=(), max_length=500)
    log: tuple[LogEntry, ...] = Field(default=(), max_length=4000)
    running: Running | None = None
    appointments: tuple[Appointment, ...] = Field(default=(), max_length=60)

    @model_validator(mode="after")
    def _hangs_together(self) -> "MakeChoices":
        for name in ("done", "left_out", "appointments"):
            keys = [one.step for one in getattr(self, name)]
            for i, key in enumerate(keys):
                if key in keys[:i]:
                    raise at_field(f"{name}.{i}.step", "step.twice", step=key)
        names = [one.key for one in self.own]
        if len(set(names)) != len(names):
            raise at_field("own", "steps.numbered")
        return self
