"""What the engine says: codes with their place, their quantities and what would mend them (model, section 18).

No words here: `wording` makes a `Message` a sentence in the maker's unit.
"""

import json
from collections.abc import Callable, Mapping
from typing import Any, Literal

from pydantic import Field, SerializationInfo, model_serializer, model_validator

from fuseau.craft.base.record import Record

Severity = Literal["stop", "caution", "advice"]
Stage = Literal[
    "brief", "wearer", "pattern", "mockups", "bones", "front", "back", "layers", "trims", "cut", "make", "record"
]
Given = float | str


class Message(Record):
    """Something to say: a code, and the quantities (mm, N, shares) and names that its words need.

    Written as JSON it is its sentence, if the serialization context has `say` (see `wording.Words`); else its code.
    """

    code: str
    given: dict[str, Given] = Field(default_factory=dict)

    @model_validator(mode="before")
    @classmethod
    def _kept(cls, value: Any) -> Any:
        if isinstance(value, str) and value.startswith("["):
            code, given = json.loads(value)
            return {"code": code, "given": given}
        return value

    @model_serializer
    def _said(self, info: SerializationInfo) -> str:
        say: Callable[[Message], str] | None = (info.context or {}).get("say")
        return self.code if say is None else say(self)


def whole(said: Message) -> str:
    """A message with its quantities, as it is kept to be said later: `say` of the serialization context.

    >>> Message.model_validate(whole(message("busk.none", room_mm=180.0))).given
    {'room_mm': 180.0}
    """
    return json.dumps([said.code, said.given], ensure_ascii=False)


def message(code: str, **given: Given) -> Message:
    """A message with what its words need.

    >>> message("busk.none", room_mm=180.0).given
    {'room_mm': 180.0}
    """
    return Message.model_construct(code=code, given=given)


class Change(Record):
    """One decision changed: the dotted path of a field in the Build, and its new value."""

    at: str
    value: Any = None


class Mend(Record):
    """Changes that would mend a finding, and how the button says it."""

    label: Message
    changes: tuple[Change, ...]


class Finding(Record):
    """Something to tell, where it applies, the quantities behind it, and what would mend it."""

    code: str
    stage: Stage
    severity: Severity
    sentence: Message
    at: str | None = Field(default=None, description="Dotted path of the field it belongs to, if it has one.")
    where: str | None = Field(default=None, description="Panel, seam, level, channel or row.")
    numbers: dict[str, float] = Field(default_factory=dict)
    mend: Mend | None = None


def finding(
    code: str,
    stage: Stage,
    severity: Severity,
    *,
    at: str | None = None,
    where: str | None = None,
    numbers: dict[str, float] | None = None,
    mend: Mend | None = None,
    said: str | None = None,
    also: Mapping[str, Given] | None = None,
    **given: Given,
) -> Finding:
    """A finding whose sentence takes its numbers, and what else is given, as quantities.

    `said` is the code of its words, where one finding has several; else its own. `also` are more quantities.
    """
    quantities: dict[str, Given] = {**(numbers or {}), **(also or {}), **given}
    return Finding(
        code=code,
        stage=stage,
        severity=severity,
        sentence=message(said or code, **quantities),
        at=at,
        where=where,
        numbers=numbers or {},
        mend=mend,
    )


def mend(code: str, *changes: Change, **given: Given) -> Mend:
    """What would mend a finding: the code of its label, with what the label names, and the changes."""
    return Mend(label=message(code, **given), changes=changes)
