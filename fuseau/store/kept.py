"""Columns that are read whatever a damaged file holds: a garbled value is nothing, and stops no other row.

What is written stays as SQLAlchemy's own types write it, so that a database can be read without Fuseau as before.
"""

import datetime
from typing import Any

from sqlalchemy import Boolean, Date, DateTime, Dialect, Integer, LargeBinary, String, TypeDecorator

LARGEST = 2**53  # of a whole number that a browser keeps as it is
UNKNOWN = datetime.datetime(1970, 1, 1)  # of what happened at a moment that is garbled


class _Read(TypeDecorator[Any]):
    """Written by `impl`; read as it lies in the file, without what `impl` would refuse."""

    cache_ok = True

    def result_processor(self, dialect: Dialect, coltype: object) -> Any:
        """What is read, by `read_back` alone."""
        return self.read_back

    def read_back(self, value: Any) -> Any:
        """What a value of the file says: as it lies there."""
        return value


class Text(_Read):
    """Text; "" for nothing where there must be some."""

    impl = String
    cache_ok = True

    def read_back(self, value: Any) -> str:
        """Bytes that are no text lose what is none."""
        if value is None:
            return ""
        return value.decode("utf-8", "replace") if isinstance(value, bytes) else str(value)


class Day(_Read):
    """A day; None for what is none."""

    impl = Date
    cache_ok = True

    def read_back(self, value: Any) -> datetime.date | None:
        """By its ISO form."""
        try:
            return datetime.date.fromisoformat(value)
        except (TypeError, ValueError):
            return None


class Moment(_Read):
    """A moment; `UNKNOWN` for what is none, so that what is deleted stays so."""

    impl = DateTime
    cache_ok = True

    def read_back(self, value: Any) -> datetime.datetime | None:
        """By its ISO form."""
        if value is None:
            return None
        try:
            return datetime.datetime.fromisoformat(value).replace(tzinfo=None)
        except (TypeError, ValueError):
            return UNKNOWN


class Number(_Read):
    """A whole number, such as another row's; None for what is none."""

    impl = Integer
    cache_ok = True

    def read_back(self, value: Any) -> int | None:
        """Only what SQLite keeps as a whole number, and what is sent can hold."""
        return value if isinstance(value, int) and abs(value) <= LARGEST else None


class Flag(_Read):
    """Yes or no; no for what is neither."""

    impl = Boolean
    cache_ok = True

    def read_back(self, value: Any) -> bool:
        """Yes is 1."""
        return bool(value == 1)


class Bytes(_Read):
    """Bytes; none at all for what are none."""

    impl = LargeBinary
    cache_ok = True

    def read_back(self, value: Any) -> bytes:
        """As they lie there."""
        return value if isinstance(value, bytes) else b""
