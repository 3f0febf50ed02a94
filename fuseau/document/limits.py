"""How much a document may hold, looked at before any of it is read: a list of a million faults is one fault."""

import types
import typing
from collections.abc import Iterator, Mapping
from typing import Any

from annotated_types import MaxLen
from pydantic import BaseModel
from pydantic.fields import FieldInfo

from fuseau.document.build import Fault

_MOST_UNSAID = 400
_MOST_UNKNOWN = 20


def too_much(data: Any, record: type[BaseModel], at: str = "") -> Fault | None:
    """The first place in plain data that holds more than the record's field may; None where all is within bounds."""
    return next(_too_much(data, record, (), at), None)


def _too_much(data: Any, kind: Any, metadata: tuple[Any, ...], at: str) -> Iterator[Fault]:
    origin, args = typing.get_origin(kind), typing.get_args(kind)
    if origin is typing.Annotated:
        yield from _too_much(data, args[0], (*args[1:], *metadata), at)
    elif isinstance(data, list):
        yield from _long_list(data, kind, metadata, at)
    elif isinstance(data, dict):
        yield from _wide_record(data, kind, metadata, at)


def _long_list(data: list[Any], kind: Any, metadata: tuple[Any, ...], at: str) -> Iterator[Fault]:
    inner = next((option for option in _options(kind) if typing.get_origin(option) in (tuple, list)), None)
    most = _longest(metadata)
    if len(data) > most:
        yield Fault(at=at, sentence=f"There are {len(data)} entries here; {most} are the most.")
        return
    args = typing.get_args(inner) if inner is not None else ()
    for k, one in enumerate(data):
        if isinstance(one, list | dict) and args:
            yield from _too_much(one, args[0] if args[-1] is ... else args[min(k, len(args) - 1)], (), _at(at, k))
        elif isinstance(one, list | dict) and len(one) > _MOST_UNSAID:
            yield Fault(at=_at(at, k), sentence=f"There are {len(one)} entries here; {_MOST_UNSAID} are the most.")


def _wide_record(data: dict[str, Any], kind: Any, metadata: tuple[Any, ...], at: str) -> Iterator[Fault]:
    record = next(
        (option for option in _options(kind) if isinstance(option, type) and issubclass(option, BaseModel)), None
    )
    if record is None:
        if len(data) > _longest(metadata):
            yield Fault(at=at, sentence=f"There are {len(data)} entries here; {_longest(metadata)} are the most.")
        return
    fields: Mapping[str, FieldInfo] = record.model_fields
    unknown = [name for name in data if name not in fields]
    if len(unknown) > _MOST_UNKNOWN:
        yield Fault(
            at=at, sentence=f"Fuseau does not know {len(unknown)} of these fields, such as “{unknown[0][:40]}”."
        )
        return
    for name, field in fields.items():
        if isinstance(data.get(name), list | dict):
            yield from _too_much(data[name], field.annotation, tuple(field.metadata), _at(at, name))


def _options(kind: Any) -> Iterator[Any]:
    origin, args = typing.get_origin(kind), typing.get_args(kind)
    if origin is typing.Annotated:
        yield from _options(args[0])
    elif origin in (typing.Union, types.UnionType):
        for arg in args:
            yield from _options(arg)
    else:
        yield kind


def _longest(metadata: tuple[Any, ...]) -> int:
    flat = [inner for mark in metadata for inner in (mark.metadata if isinstance(mark, FieldInfo) else (mark,))]
    return next((one.max_length for one in flat if isinstance(one, MaxLen)), _MOST_UNSAID)


def _at(at: str, name: object) -> str:
    return f"{at}.{name}" if at else str(name)
