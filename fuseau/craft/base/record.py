"""What every record of the trade has in common: it is frozen, and it refuses fields that it does not know."""

import datetime
import math
import re
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Annotated, Any, Self

from pydantic import BaseModel, ConfigDict, GetCoreSchemaHandler, ValidationInfo
from pydantic_core import CoreSchema, PydanticCustomError, core_schema


class Sent(BaseModel):
    """What is sent whole: a field that may be left out of what comes in is written in every answer; so its schema.

    What reads and writes it is built when it is first asked for: there are some 400 records, and a server that starts
    asks for few.
    """

    model_config = ConfigDict(json_schema_serialization_defaults_required=True, defer_build=True)


class Record(Sent):
    """A frozen record. Unknown fields are an error, so that a misspelt decision is never dropped silently."""

    model_config = ConfigDict(frozen=True, extra="forbid", allow_inf_nan=False)

    def model_copy(self, *, update: Mapping[str, Any] | None = None, deep: bool = False) -> Self:
        """As Pydantic's, but what was derived from the old fields (cached properties) stays behind."""
        copied = super().model_copy(update=update, deep=deep)
        for name in set(copied.__dict__) - set(type(self).model_fields):
            del copied.__dict__[name]
        return copied


# Not in a line of text: controls, the halves of characters, what Unicode calls no character, and what turns text about.
_UNPRINTABLE = re.compile(
    "[\x00-\x1f\x7f-\x9f\ud800-\udfff\u2028\u2029\u202a-\u202e\u2066-\u2069\ufdd0-\ufdef\ufffe\uffff]"
)
_LINE_ENDS = re.compile("\r\n?|\u2028|\u2029|\x0b|\x0c|\x85")


@dataclass(frozen=True)
class Text:
    """Marks a field as text that can be printed, of at most `most` characters; `lines` allows several lines.

    With `{"stored": True}` in the validation context, what was kept before this was looked at is cleaned, not refused.
    """

    most: int
    lines: bool = False
    least: int = 0

    def __get_pydantic_core_schema__(self, source: Any, handler: GetCoreSchemaHandler) -> CoreSchema:
        """The bounds go into the schema; messages are in the maker's words."""
        inner = core_schema.str_schema(min_length=self.least or None, max_length=self.most)
        return core_schema.with_info_before_validator_function(self._read, inner)

    def _read(self, given: Any, info: ValidationInfo) -> Any:
        if not isinstance(given, str):
            return given
        plain = _LINE_ENDS.sub("\n", given) if self.lines else given
        bare = plain.replace("\n", "").replace("\t", "") if self.lines else plain
        if _UNPRINTABLE.search(bare):
            if (info.context or {}).get("stored"):
                return "".join(sign if sign in "\n\t" and self.lines else _UNPRINTABLE.sub(" ", sign) for sign in plain)
            raise refused("text.unprintable")
        if len(plain) > self.most:
            raise refused("text.long", count=len(plain), most=self.most)
        if len(plain) < self.least:
            raise refused("text.short")
        return plain


@dataclass(frozen=True)
class Amount:
    """Marks a field as a number between `low` and `high`, that may also come as text; `what` names it."""

    what: str
    low: float
    high: float
    whole: bool = False

    def __get_pydantic_core_schema__(self, source: Any, handler: GetCoreSchemaHandler) -> CoreSchema:
        """Bounds go into the schema; messages are in the maker's words."""
        inner = (
            core_schema.int_schema(ge=int(self.low), le=int(self.high))
            if self.whole
            else core_schema.float_schema(ge=self.low, le=self.high)
        )
        return core_schema.no_info_before_validator_function(self._read, inner)

    def _read(self, given: Any) -> Any:
        number = given
        if isinstance(given, str):
            try:
                number = float(given.replace(",", ".").replace("%", "").strip())
            except ValueError:
                number = math.nan
        usable = isinstance(number, int | float) and not isinstance(number, bool)
        if not usable or not self.low <= number <= self.high or (self.whole and number != int(number)):
            raise refused("amount.beyond", what=self.what, low=self.low, high=self.high)
        return int(number) if self.whole else float(number)


@dataclass(frozen=True)
class _Day:
    """Marks a field as a day that somebody can mean: a year of two digits is one of the first century.

    With `{"stored": True}` in the validation context, what was kept before this was looked at stands.
    """

    def __get_pydantic_core_schema__(self, source: Any, handler: GetCoreSchemaHandler) -> CoreSchema:
        """The message is in the maker's words."""
        return core_schema.with_info_after_validator_function(self._meant, handler(source))

    def _meant(self, day: datetime.date, info: ValidationInfo) -> datetime.date:
        if not 1900 <= day.year < 2200 and not (info.context or {}).get("stored"):
            raise refused("day.year", year=day.year)
        return day


Day = Annotated[datetime.date, _Day()]


def refused(code: str, **given: str | float | None) -> PydanticCustomError:
    """What is wrong with what is being read: a code and its quantities; `wording` makes the sentence (`faults`)."""
    return PydanticCustomError("refused", "{code}", {"code": code, "given": given})


def at_field(at: str, code: str, **given: str | float | None) -> PydanticCustomError:
    """The same at a field below the record that is being read."""
    return PydanticCustomError("refused", "{code}", {"code": code, "given": given, "at": at})
