"""What every record of the trade has in common: it is frozen, and it refuses fields that it does not know."""

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Self

from pydantic import BaseModel, ConfigDict, GetCoreSchemaHandler
from pydantic_core import CoreSchema, PydanticCustomError, core_schema


class Record(BaseModel):
    """A frozen record. Unknown fields are an error, so that a misspelt decision is never dropped silently."""

    model_config = ConfigDict(frozen=True, extra="forbid", allow_inf_nan=False)

    def model_copy(self, *, update: Mapping[str, Any] | None = None, deep: bool = False) -> Self:
        """As Pydantic's, but what was derived from the old fields (cached properties) stays behind."""
        copied = super().model_copy(update=update, deep=deep)
        for name in set(copied.__dict__) - set(type(self).model_fields):
            del copied.__dict__[name]
        return copied


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
            raise PydanticCustomError(
                "amount",
                "{reason}",
                {"reason": f"{self.what[0].upper()}{self.what[1:]} goes from {self.low:g} to {self.high:g}."},
            )
        return int(number) if self.whole else float(number)
