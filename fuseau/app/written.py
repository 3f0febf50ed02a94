"""Records as a maker writes them: the same fields, with lengths and amounts as text or number, not read yet.

The core reads them in her unit and says what is wrong at the field; here they only get their types, so that the schema
(and with it the interface) knows every field.
"""

from functools import cache
from types import UnionType
from typing import Annotated, Any, Literal, Union, get_args, get_origin

from pydantic import BaseModel, Field, create_model

from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount, Sent

Written = str | float  # a length or an amount: text in the maker's words, or a number (mm)


@cache
def as_written(
    record: type[BaseModel],
    leave_out: frozenset[str] = frozenset(),
    optional: frozenset[str] = frozenset(),
    called: str = "",
) -> type[BaseModel]:
    """A model with the fields of `record` as they are written; what has a default, or is `optional`, may be missing.

    It is `called` so where a schema holds it twice.
    """
    fields: dict[str, Any] = {}
    for name, field in record.model_fields.items():
        if name in leave_out:
            continue
        kind = _written(field.annotation, tuple(field.metadata))
        if get_origin(kind) is Literal and len(get_args(kind)) == 1:
            fields[name] = (kind, field.default)
        elif field.is_required() and name not in optional:
            fields[name] = (kind, Field(description=field.description))
        else:
            fields[name] = (kind | None, Field(default=None, description=field.description))
    doc = (record.__doc__ or "").split("\n")[0]
    return create_model(
        called or f"Written{record.__name__}", __base__=Sent, __doc__=f"As it is written: {doc}", **fields
    )


def _written(kind: Any, metadata: tuple[Any, ...] = ()) -> Any:
    """The type of a field as written."""
    if any(isinstance(mark, Length | Amount) for mark in metadata):
        return Written
    kept = tuple(mark for mark in metadata if mark is not None)
    origin, args = get_origin(kind), get_args(kind)
    if origin is Annotated:
        return _written(args[0], args[1:] + kept)
    if origin in (Union, UnionType):
        found: Any = Union[tuple(_written(arg) for arg in args)]  # noqa: UP007
    elif origin in (tuple, list):
        alike = origin is list or args[-1] is ...
        found = list[_written(args[0])] if alike else tuple[tuple(map(_written, args))]  # type: ignore[misc]
    elif origin is dict:
        found = dict[args[0], _written(args[1])]  # type: ignore[valid-type, misc]
    elif isinstance(kind, type) and issubclass(kind, BaseModel):
        found = as_written(kind)
    else:
        found = kind
    return Annotated[(found, *kept)] if kept else found
