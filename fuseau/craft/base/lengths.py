"""Lengths as makers write them, and as Fuseau shows them (model, section 1). Millimetres inside."""

import math
import re
from dataclasses import dataclass
from fractions import Fraction
from typing import Any, Literal

from pydantic import GetCoreSchemaHandler, ValidationInfo
from pydantic_core import CoreSchema, core_schema

from fuseau.craft.base.record import refused

Unit = Literal["cm", "in"]

MM_PER = {"mm": 1.0, "cm": 10.0, "m": 1000.0, "in": 25.4, "ft": 304.8, "yd": 914.4}

_SPELLINGS = {
    "mm": "mm", "millimetre": "mm", "millimetres": "mm", "millimeter": "mm", "millimeters": "mm",
    "cm": "cm", "centimetre": "cm", "centimetres": "cm", "centimeter": "cm", "centimeters": "cm",
    "m": "m", "metre": "m", "metres": "m", "meter": "m", "meters": "m",
    "in": "in", "in.": "in", "inch": "in", "inches": "in", '"': "in",
    "yd": "yd", "yd.": "yd", "yard": "yd", "yards": "yd",
    "ft": "ft", "ft.": "ft", "foot": "ft", "feet": "ft", "'": "ft",
}  # fmt: skip

_ONE_SIGN_FRACTIONS = {
    "½": "1/2", "¼": "1/4", "¾": "3/4", "⅛": "1/8", "⅜": "3/8", "⅝": "5/8", "⅞": "7/8",
    "⅓": "1/3", "⅔": "2/3", "⅙": "1/6", "⅚": "5/6", "⅕": "1/5", "⅖": "2/5", "⅗": "3/5", "⅘": "4/5",
}  # fmt: skip

_QUANTITY = re.compile(
    r"""\s*(?:
        (?P<whole>\d+)(?:\s+|-)(?P<top>\d+)\s*/\s*(?P<bottom>\d+)     # 24 1/2
      | (?P<alone_top>\d+)\s*/\s*(?P<alone_bottom>\d+)               # 5/8
      | (?P<decimal>\d+(?:[.,]\d*)?|[.,]\d+)                         # 24.5
    )\s*(?P<unit>[a-z]+\.?|"|')?\s*""",
    re.VERBOSE,
)

_LONGEST_TEXT = 80  # far more signs than any length has: a number of hundreds of digits is none


class LengthError(ValueError):
    """A length that cannot be read; the message is a sentence for the maker."""


def parse_length(text: str, unit: Literal["mm", "cm", "in"] = "cm", *, signed: bool = False) -> float:
    """Read a length as people write it.

    Parameters: `text` such as ``24 1/2"``, ``62 cm``, ``5/8``, ``1' 2"``, ``½`` or ``62,5``;
    `unit` taken for a bare number; `signed` allows a leading minus.
    Returns millimetres. Raises LengthError with a plain sentence.

    >>> parse_length("24 1/2 in"), parse_length("1' 2\\""), parse_length("62,5")
    (622.3, 355.6, 625.0)
    """
    plain = _plain(text)
    if not plain:
        raise LengthError("Write a length, such as 62 cm or 24 1/2 in.")
    if len(plain) > _LONGEST_TEXT:
        raise LengthError(f"“{plain[:12]}…” is too long for a length: write it like 62 cm, 620 mm or 24 1/2 in.")
    negative = plain.startswith("-")
    if negative and not signed:
        raise LengthError(f"“{text.strip()}” is below zero: write it without the minus.")
    rest = plain.lstrip("-").strip()

    parts: list[tuple[Fraction, str | None]] = []
    at = 0
    while at < len(rest):
        found = _QUANTITY.match(rest, at)
        if not found:
            raise LengthError(f"“{text.strip()}” is not a length: write it like 62 cm, 620 mm or 24 1/2 in.")
        parts.append((_number(found, text), _unit_of(found["unit"], text)))
        at = found.end()
    return (-1 if negative else 1) * _sum_of(parts, unit, text)


def _plain(text: str) -> str:
    for sign, spelt in _ONE_SIGN_FRACTIONS.items():
        text = text.replace(sign, f" {spelt}")
    for odd, usual in {
        "″": '"',
        "”": '"',
        "“": '"',
        "''": '"',
        "′": "'",
        "’": "'",
        "−": "-",
        "⁄": "/",
    }.items():
        text = text.replace(odd, usual)
    return text.replace("\u00a0", " ").strip().lower()


def _number(found: re.Match[str], text: str) -> Fraction:
    if found["decimal"]:
        return Fraction(found["decimal"].replace(",", ".").rstrip("."))
    whole, top, bottom = found["whole"] or "0", found["top"], found["bottom"]
    if top is None:
        top, bottom = found["alone_top"], found["alone_bottom"]
    if int(bottom) == 0:
        raise LengthError(f"“{text.strip()}” divides by zero.")
    return int(whole) + Fraction(int(top), int(bottom))


def _unit_of(written: str | None, text: str) -> str | None:
    if written is None:
        return None
    if written not in _SPELLINGS:
        raise LengthError(f"“{written}” in “{text.strip()}” is not a unit: use mm, cm or in.")
    return _SPELLINGS[written]


def _sum_of(parts: list[tuple[Fraction, str | None]], unit: str, text: str) -> float:
    if len(parts) == 1:
        number, own = parts[0]
        return float(number) * MM_PER[own or unit]
    if len(parts) == 2 and parts[0][1] == "ft" and parts[1][1] in ("in", None):
        return float(parts[0][0]) * MM_PER["ft"] + float(parts[1][0]) * MM_PER["in"]
    units = [own for _, own in parts if own]
    if len(set(units)) > 1:
        raise LengthError(f"“{text.strip()}” has two units, {units[0]} and {units[1]}: use one.")
    raise LengthError(f"“{text.strip()}” holds more than one length: write one.")


def format_length(mm: float, unit: Unit = "cm", *, hardware: bool = False, bare: bool = False) -> str:
    """Show a length: cm to 0.1, inches to 1/8; hardware in mm to 0.5, inches to 1/16.

    Parameters: `mm`; `unit` cm or in; `hardware` for bones, busks, holes; `bare` leaves the unit off.
    Returns text that `parse_length` reads back to the same text.

    >>> format_length(622.3, "in"), format_length(622.3), format_length(9.5, hardware=True)
    ('24 1/2 in', '62.2 cm', '9.5 mm')
    """
    minus = "−" if mm < 0 else ""
    size = abs(mm)
    if unit == "in":
        steps = 16 if hardware else 8
        count = math.floor(size / 25.4 * steps + 0.5)
        shown, name = _proper_fraction(count, steps), "in"
    elif hardware:
        count = math.floor(size * 2 + 0.5)
        shown, name = f"{count / 2:g}", "mm"
    else:
        count = math.floor(size + 0.5)
        shown, name = f"{count / 10:.1f}", "cm"
    minus = minus if count else ""
    return f"{minus}{shown}" if bare else f"{minus}{shown} {name}"


def format_run(mm: float, unit: Unit = "cm") -> str:
    """Show a length of what is sold off a roll, such as lace: metres to 0.1, yards to the quarter, rounded up.

    Less than a metre, or a yard, is shown as any length: so it is the same number wherever it stands.

    >>> format_run(5503), format_run(5503, "in")
    ('5.6 m', '6 1/4 yd')
    >>> format_run(301), format_run(301, "in")
    ('30.1 cm', '11 7/8 in')
    """
    if mm < (_YARD_MM if unit == "in" else 1000.0):
        return format_length(mm, unit)
    if unit == "in":
        return f"{_proper_fraction(math.ceil(round(mm / _YARD_MM * 4, 6)), 4)} yd"
    return f"{math.ceil(round(mm / 100, 6)) / 10:.1f} m"


_YARD_MM = 914.4


def _proper_fraction(count: int, steps: int) -> str:
    whole, rest = divmod(count, steps)
    if not rest:
        return str(whole)
    part = Fraction(rest, steps)
    return f"{whole} {part}" if whole else str(part)


_BEYOND_MM = 1e7  # no length of ours is written out beyond this


@dataclass(frozen=True)
class Length:
    """Marks a Pydantic field as a length in mm that may also be given as text in the maker's words.

    `what` names it in messages; `low` and `high` are the accepted range in mm. The unit of a bare number
    in a text comes from the validation context (`{"unit": "cm"}`); a number is always millimetres.
    """

    what: str
    low: float
    high: float
    hardware: bool = False

    def __get_pydantic_core_schema__(self, source: Any, handler: GetCoreSchemaHandler) -> CoreSchema:
        return core_schema.with_info_before_validator_function(
            self._read, core_schema.float_schema(ge=self.low, le=self.high)
        )

    def _read(self, given: Any, info: ValidationInfo) -> Any:
        unit: Unit = (info.context or {}).get("unit", "cm")
        if isinstance(given, str):
            try:
                given = parse_length(given, unit, signed=self.low < 0)
            except LengthError as error:
                raise refused("length.unread", said=str(error)) from None
        if isinstance(given, bool) or not isinstance(given, int | float) or not math.isfinite(given):
            raise refused("length.kind", what=self.what)
        if abs(given) > _BEYOND_MM:
            raise refused("length.far_beyond", what=self.what)
        if not self.low <= given <= self.high:
            code = "length.beyond.hardware" if self.hardware else "length.beyond"
            raise refused(code, given_mm=given, what=self.what, low_mm=self.low, high_mm=self.high)
        return float(given)

    def _named(self) -> str:
        return self.what[0].upper() + self.what[1:]
