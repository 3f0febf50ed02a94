"""What the engine says: findings, with their reason, their numbers and what would mend them (model, section 13)."""

from typing import Any, Literal

from pydantic import Field

from fuseau.craft.base.record import Record

Severity = Literal["stop", "caution", "advice"]
Stage = Literal["brief", "wearer", "pattern", "mockups", "bones", "front", "back"]


class Change(Record):
    """One decision changed: the dotted path of a field in the Build, and its new value."""

    at: str
    value: Any = None


class Mend(Record):
    """Changes that would mend a finding, and how the button says it."""

    label: str
    changes: tuple[Change, ...]


class Finding(Record):
    """One plain sentence, where it applies, the numbers behind it, and what would mend it."""

    code: str
    stage: Stage
    severity: Severity
    sentence: str
    at: str | None = Field(default=None, description="Dotted path of the field it belongs to, if it has one.")
    where: str | None = Field(default=None, description="Panel, seam, level, channel or row.")
    numbers: dict[str, float] = Field(default_factory=dict)
    mend: Mend | None = None


def capital(text: str) -> str:
    """The text with its first letter large, as a button or a sentence begins.

    >>> capital("flat steel 12 × 1.0 mm")
    'Flat steel 12 × 1.0 mm'
    """
    return text[:1].upper() + text[1:]
