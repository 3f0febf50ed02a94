"""What is said of what can't be read: fields of a record that are refused, each in a plain sentence."""

from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError
from pydantic_core import ErrorDetails

from fuseau.craft.base.findings import message
from fuseau.craft.base.lengths import Unit
from fuseau.craft.base.practice import Practice
from fuseau.document.build import MOST_FAULTS, Fault
from fuseau.wording.words import Words

_LONGEST = 300
_DAY = "Write the day as year-month-day, such as 2027-03-14."
_WHOLE = "This has to be a whole number."
_NUMBER = "This has to be a number."


_KNOWN_FAULTS = {
    "extra_forbidden": "Fuseau does not know this field.",
    "missing": "This is missing.",
    "date_from_datetime_parsing": _DAY,
    "date_from_datetime_inexact": _DAY,
    "date_parsing": _DAY,
    "date_type": _DAY,
    "greater_than_equal": "This is {ge} at least.",
    "greater_than": "This is more than {gt}.",
    "less_than_equal": "This is {le} at most.",
    "less_than": "This is less than {lt}.",
    "int_type": _WHOLE,
    "int_parsing": _WHOLE,
    "int_parsing_size": _WHOLE,
    "int_from_float": _WHOLE,
    "float_type": _NUMBER,
    "float_parsing": _NUMBER,
    "finite_number": _NUMBER,
    "string_type": "This has to be text.",
    "string_unicode": "This holds half a character, which no text can have.",
    "string_too_long": "This has more than {max_length} characters.",
    "string_too_short": "Write something here.",
    "string_pattern_mismatch": "This can't be written so.",
    "bool_type": "This has to be yes or no.",
    "bool_parsing": "This has to be yes or no.",
    "list_type": "This has to be a list.",
    "tuple_type": "This has to be a list.",
    "dict_type": "This has to be a group of fields.",
    "model_type": "This has to be a group of fields.",
    "model_attributes_type": "This has to be a group of fields.",
    "too_long": "There are more than {max_length} here.",
    "too_short": "There have to be {min_length} here at least.",
    "literal_error": "This has to be one of: {expected}.",
    "enum": "This has to be one of: {expected}.",
    "json_invalid": "This cannot be read.",
}


def fault_sentence(error: ErrorDetails, unit: Unit = "cm") -> str:
    """What one of Pydantic's errors says, in a plain sentence of at most 300 characters."""
    context: Mapping[str, Any] = error.get("ctx") or {}
    if "code" in context:
        return Words(unit)(message(context["code"], **context["given"]))[:_LONGEST]
    known = _KNOWN_FAULTS.get(error["type"])
    return known.format_map(context)[:_LONGEST] if known else f"{str(error['msg'])[: _LONGEST - 2].rstrip('.')}."


def faults(error: ValidationError, unit: Unit = "cm") -> list[Fault]:
    """What a failed validation says, field by field, in plain sentences in her unit; the first twenty."""
    said = []
    for detail in error.errors(include_url=False, include_input=False)[:MOST_FAULTS]:
        place = [str(part) for part in detail["loc"] if part not in ("float", "int", "str", "constrained-str")]
        said_at = detail.get("ctx", {}).get("at")
        at = ".".join([*place, said_at] if said_at else place)
        bounded = place[:1] == ["practice"] and detail["type"] in ("greater_than_equal", "less_than_equal")
        sentence = range_of(place[-1]) if bounded else fault_sentence(detail, unit)
        said.append(Fault(at=at[:200], sentence=sentence))
    return said


_UNITS = {"mm": "mm", "kpa": "kPa", "n": "N", "deg": "°", "percent": "%"}


def range_of(name: str) -> str:
    """Within what a house number makes sense, in a sentence with its name and unit.

    >>> range_of("ruler_spread_mm")
    'Ruler spread goes from 0.5 to 20 mm.'
    """
    bounds = {type(mark).__name__: mark for mark in Practice.model_fields[name].metadata}
    stem, _, last = name.rpartition("_")
    unit = _UNITS.get(last)
    said = (stem if unit else name).replace("_", " ")
    ending = "" if unit is None else unit if unit == "°" else f" {unit}"
    return f"{said[0].upper()}{said[1:]} goes from {bounds['Ge'].ge:g} to {bounds['Le'].le:g}{ending}."
