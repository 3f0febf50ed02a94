"""A wearer's measures as CSV, out and in: a row for each level, lengths in any unit; and the bones as CSV."""

from collections.abc import Mapping
from typing import Any

from pydantic import Field, ValidationError

from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import LengthError, Unit, format_length, parse_length
from fuseau.craft.base.record import Sent
from fuseau.craft.wearer.measures import LEVEL_LABELS, LEVELS, LevelName, Wearer, sign_of
from fuseau.files.sheets import has_unit, read_sheet, write_sheet
from fuseau.wording.faults import fault_sentence

_MOST_READINGS = 12
_USUAL_READINGS = 3
_PARTS: Mapping[str, str] = {
    "front arc": "front_arc_mm",
    "back arc": "back_arc_mm",
    "front height": "height_front_mm",
    "side height": "height_side_mm",
    "back height": "height_back_mm",
    "left more": "left_more_mm",
}
_SINGLE: Mapping[str, str] = {
    "bust points": "bust_points_mm",
    "waist to lap, sitting": "waist_to_lap_sitting_mm",
    "round the head": "head_mm",
    "round the shoulders": "shoulders_mm",
}
_READINGS = tuple(f"girth {i}" for i in range(1, _MOST_READINGS + 1))
_COLUMNS = ("level", "unit", *_READINGS, *_PARTS)
# Other headings and names that people write, in small letters.
_ALSO: Mapping[str, str] = {
    "measure": "level", "name": "level", "place": "level", "what": "level", "girth": "girth 1", "value": "girth 1",
    "size": "girth 1", "round": "girth 1", "circumference": "girth 1", "first": "girth 1", "first reading": "girth 1",
    "second": "girth 2", "second reading": "girth 2", "again": "girth 2", "third": "girth 3",
    "third reading": "girth 3",
    "units": "unit", "in": "unit", "height front": "front height", "height side": "side height",
    "height back": "back height", "front": "front height", "side": "side height", "back": "back height",
    "height": "side height", "left half has more": "left more",
}  # fmt: skip
_NAMES: Mapping[str, str] = {
    **{name: name for name in LEVELS},
    **{label.lower(): name for name, label in LEVEL_LABELS.items()},
    **{name: name for name in _SINGLE},
    "under bust": "underbust", "over bust": "high_bust", "upper bust": "high_bust", "chest": "bust", "rib cage": "ribs",
    "ribcage": "ribs", "natural waist": "waist", "upper hip": "high_hip", "hips": "hip", "full hip": "hip",
    "neck": "neck_base", "bust point to bust point": "bust points", "waist to lap": "waist to lap, sitting",
    "lap": "waist to lap, sitting", "head": "round the head", "shoulders": "round the shoulders",
}  # fmt: skip
_UNITS: Mapping[str, str] = {
    "": "", "cm": "cm", "centimetre": "cm", "centimetres": "cm", "mm": "mm", "millimetre": "mm", "millimetres": "mm",
    "in": "in", "inch": "in", "inches": "in", '"': "in", "zoll": "in",
}  # fmt: skip

_SPELT = {"cm": "centimetres", "in": "inches", "mm": "millimetres"}


class MeasuresRow(Sent):
    """A row that came in: what it would change, or what is wrong with it, with the row's number."""

    row: int
    changes: list[Change] = Field(default_factory=list)
    said: str
    fault: str | None = None


def measures_csv(wearer: Wearer, unit: Unit) -> bytes:
    """Everything measured of a wearer, a row for each level, in the maker's unit, which every row names."""
    most = max(_USUAL_READINGS, *(len(wearer[name].readings_mm) for name in LEVELS))

    def shown(value: float | None) -> str:
        return "" if value is None else f"{round(value / (25.4 if unit == 'in' else 10.0), 4):g}"

    rows: list[list[str]] = []
    for name in LEVELS:
        level = wearer[name]
        cells = [shown(level.readings_mm[i]) if i < len(level.readings_mm) else "" for i in range(most)]
        cells += [shown(getattr(level, field)) for field in _PARTS.values()]
        if any(cells):
            rows.append([LEVEL_LABELS[name], unit, *cells])
    for label, field in _SINGLE.items():
        if getattr(wearer, field) is not None:
            rows.append([label.capitalize(), unit, shown(getattr(wearer, field))])
    return write_sheet(("level", "unit", *_READINGS[:most], *_PARTS), rows)


def read_measures_csv(content: bytes, unit: Unit) -> list[MeasuresRow]:
    """What a CSV says of a wearer, row by row; rows that can't be read say why.

    A length takes the unit that is written with it, else that of its row's column, else the maker's `unit`. Raises
    UnreadableFile for what is no such sheet.
    """
    rows: list[MeasuresRow] = []
    seen: dict[str, int] = {}
    for number, cells in read_sheet(content, _COLUMNS, _ALSO, frozenset({"level"})):
        row = _row(number, cells, unit, seen)
        if row is not None:
            rows.append(row)
    return rows


def _row(number: int, cells: Mapping[str, str], unit: Unit, seen: dict[str, int]) -> MeasuresRow | None:
    written = cells["level"]
    known = _NAMES.get(" ".join(written.lower().split()))
    said = written or f"row {number}"
    if not any(text for name, text in cells.items() if name not in ("level", "unit")):
        return None  # nothing is measured there
    if known is None:
        places = ", ".join([*LEVEL_LABELS.values(), *_SINGLE])
        return MeasuresRow(row=number, said=said, fault=f"What is “{written[:40]}”? One of: {places}.")
    if known in seen:
        return MeasuresRow(row=number, said=said, fault=f"It stands in row {seen[known]} already. Keep one.")
    seen[known] = number
    own = _UNITS.get(cells["unit"].lower().rstrip("."))
    if own is None:
        return MeasuresRow(row=number, said=said, fault=f"“{cells['unit'][:20]}” is no unit: cm, mm or in.")
    try:
        values = {name: _length(text, own, unit, name) for name, text in cells.items() if text and name in _LENGTHS}
        return _taken(number, known, values, unit)
    except LengthError as error:
        return MeasuresRow(row=number, said=said, fault=str(error))
    except ValidationError as error:
        first = error.errors(include_url=False, include_input=False)[0]
        return MeasuresRow(
            row=number, said=said, fault=fault_sentence(first, unit) + _perhaps(cells, known, own or unit)
        )


_LENGTHS = frozenset((*_READINGS, *_PARTS))


def _length(text: str, own: str, unit: Unit, column: str) -> float:
    """A length, mm. Raises LengthError where it and its row name different units, or it is no length."""
    signed = column == "left more"
    bare = "".join(sign for sign in text if not (sign.isalpha() or sign in "\"'")).strip()
    length = parse_length(text if has_unit(text) else f"{text} {own or unit}", unit, signed=signed)
    if own and has_unit(text):
        here = parse_length(f"{bare} {own}", unit, signed=signed)
        if abs(here - length) > 1e-6:
            raise LengthError(f"“{text[:30]}” says another unit than its row, {own}: which is it?")
    return length


def _taken(number: int, known: str, values: Mapping[str, float], unit: Unit) -> MeasuresRow:
    def shown(length_mm: float) -> str:
        return format_length(length_mm, unit)

    if known in _SINGLE:
        if set(values) != {"girth 1"}:
            raise LengthError("This is one length: write it in the first column.")
        field, length = _SINGLE[known], values["girth 1"]
        _check({field: length})
        changes = [Change(at=f"wearer.{field}", value=length)]
        return MeasuresRow(row=number, changes=changes, said=f"{known.capitalize()}: {shown(length)}")
    readings = [values[name] for name in _READINGS if name in values]
    level: dict[str, Any] = {field: values[name] for name, field in _PARTS.items() if name in values}
    if readings:
        level["readings_mm"] = readings
    _check({known: level})
    name: LevelName = known  # type: ignore[assignment]
    if not sign_of(name) and any(field.startswith("height") for field in level):
        raise LengthError(f"Heights are taken from the {LEVEL_LABELS[name].lower()}: it has none itself.")
    parts = [shown(reading) for reading in readings]
    parts += [f"{column} {shown(values[column])}" for column in _PARTS if column in values]
    changes = [Change(at=f"wearer.{known}.{field}", value=value) for field, value in level.items()]
    return MeasuresRow(row=number, changes=changes, said=f"{LEVEL_LABELS[name]}: {', '.join(parts)}")


def _check(fields: Mapping[str, Any]) -> None:
    Wearer.model_validate(dict(fields), context={"unit": "mm"})


def _perhaps(cells: Mapping[str, str], known: str, used: str) -> str:
    """Whether bare numbers that can't be would do in another unit."""
    for other in ("cm", "in", "mm"):
        if other == used:
            continue
        try:
            values = {name: _length(text, "", "cm", name) for name, text in cells.items() if name in _LENGTHS and text}
            if any(has_unit(text) for name, text in cells.items() if name in _LENGTHS):
                return ""
            factor = {"cm": 1.0, "in": 2.54, "mm": 0.1}[other]
            _taken(0, known, {name: value * factor for name, value in values.items()}, "cm")
        except (LengthError, ValidationError):
            continue
        return f" In {_SPELT[other]} it could be."
    return ""
