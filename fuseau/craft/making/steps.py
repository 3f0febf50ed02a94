"""A step of making up: what it takes, what it needs, which places it must reach, and which it shuts (model, 13)."""

from typing import Annotated, Literal

from pydantic import Field

from fuseau.craft.base.findings import Message, Stage
from fuseau.craft.base.record import Record
from fuseau.craft.materials.minutes import Work

StepKey = Annotated[str, Field(pattern=r"^[a-z0-9][a-z0-9 ._-]{0,59}$", description="What a step is known by.")]
Place = Annotated[str, Field(max_length=60, description="A part of the garment that a step has to reach.")]
Who = Literal["herself", "wearer", "helper"]


class Shuts(Record):
    """A place that a step shuts. `open_again_min`: minutes to open it there once more and shut it after, for each
    place of a later step that has to go in; None where only undoing the step opens it.
    """

    place: Place
    open_again_min: float | None = None


class Step(Record):
    """One step. `needs` are steps that have to be done before; `reaches` are the places that it must still get at, of
    each group one (a bone goes in from the top or from the hem); `shuts` are the places that nothing reaches after it.

    `works` are kinds of work with how often; `waits_h` runs after it, by the clock. `through` counts how many places it
    goes in at, for what opening them again costs. `undo_min`: to undo it, by which no cloth is lost; None: it can't be.
    `optional`: why it may be left out; `later`: it can be done after the day without harm. `with_whom`: somebody has to
    be there.
    """

    key: StepKey
    name: Message
    stage: Stage
    works: tuple[tuple[Work, float], ...] = ()
    fixed_min: float = 0.0
    waits_h: float = 0.0
    why: Message | None = None
    tools: tuple[Message, ...] = ()
    materials: tuple[Message, ...] = ()
    cautions: tuple[Message, ...] = ()
    how: tuple[Message, ...] = ()
    needs: tuple[StepKey, ...] = ()
    reaches: tuple[tuple[Place, ...], ...] = ()
    shuts: tuple[Shuts, ...] = ()
    through: int = 1
    undo_min: float | None = None
    optional: Message | None = None
    later: bool = False
    with_whom: Who = "herself"
    waits_for: tuple[str, ...] = Field(default=(), description="Articles on order without which it can't begin.")
    own: bool = False


def slug(name: str) -> str:
    """A name as it stands in the key of a step."""
    return name.lower().replace("_", "-")[:40]


def trim_step(trim: str) -> StepKey:
    """The step in which a trim is sewn on."""
    return f"trim {trim}"


def cut_step(cloth: str) -> StepKey:
    """The step in which a cloth is cut.

    >>> cut_step("fusible_woven")
    'cut fusible-woven'
    """
    return f"cut {slug(cloth)}"


def cut_bones_step(kind: str) -> StepKey:
    """The step in which all bones of a kind are cut and closed."""
    return f"cut bones {slug(kind)}"
