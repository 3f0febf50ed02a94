"""Any valid build: one that stands, with any of its fields changed to anything that the document allows.

The strategies are read off the records' types and bounds, so that a field added tomorrow is tried as well.
"""

import datetime
import types
import typing
from functools import cache

import annotated_types
from hypothesis import strategies as st
from pydantic import BaseModel, NaiveDatetime, ValidationError
from pydantic.fields import FieldInfo

from fuseau.commands.fittings import log_fitting
from fuseau.commands.patterns import edit_pattern
from fuseau.commands.versions import accept, cut_version
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Amount
from fuseau.document.build import Build, read_build
from tests.conftest import TODAY
from tests.kinds import ALL_KINDS, built
from tests.plans import plan


@cache
def bases() -> tuple[Build, ...]:
    """Builds of every kind: as measured, with a version, and with a fitting and the version that followed."""
    found = []
    for kind in ALL_KINDS:
        build = built(kind)
        found.append(build)
        build = cut_version(build, plan(build), TODAY)
        found.append(build)
        at = plan(build).mock_up
        if at is None:
            continue
        ends = at.z_mm[0] + 6, at.z_mm[30], at.z_mm[-1] - 6
        readings = [{"z_mm": z, "gap_mm": max(0.0, at.gap_at(z) + 5)} for z in ends]
        build = log_fitting(build, plan(build), {"pull": "close", "readings": readings}, TODAY, "cm")
        if plan(build).proposal is not None:
            build = accept(build, plan(build), TODAY)
            pinch = {"kind": "seam", "seam": 1, "at_mm": 0, "amount_mm": 3}
            found.append(edit_pattern(build, plan(build), [pinch], TODAY, "cm"))
    return tuple(found)


def anything(kind: object, metadata: tuple[object, ...] = ()) -> st.SearchStrategy[object]:
    """Plain data that a field of this type and these bounds takes."""
    for one in metadata:
        if isinstance(one, Length | Amount):
            return _between(one.low, one.high, whole=isinstance(one, Amount) and one.whole)
        if isinstance(one, FieldInfo):
            metadata = (*metadata, *one.metadata)
    origin, args = typing.get_origin(kind), typing.get_args(kind)
    if origin is typing.Annotated:
        return anything(args[0], (*args[1:], *metadata))
    if origin in (typing.Union, types.UnionType):
        return st.one_of([st.none() if one is types.NoneType else anything(one, metadata) for one in args])
    if origin is typing.Literal:
        return st.sampled_from(args)
    if origin in (tuple, list):
        if args[-1] is ...:
            return st.lists(anything(args[0]), max_size=3)
        return st.tuples(*[anything(one) for one in args]).map(list)
    if origin in (dict, typing.Mapping) or getattr(origin, "__name__", "") == "Mapping":
        return st.dictionaries(anything(args[0]), anything(args[1]), max_size=2)
    if isinstance(kind, type) and issubclass(kind, BaseModel):
        return whole(kind)
    if kind is bool:
        return st.booleans()
    if kind in (int, float):
        return _between(*_bounds(metadata), whole=kind is int)
    if kind is str:
        longest = next((one.max_length for one in metadata if isinstance(one, annotated_types.MaxLen)), 40)
        return st.text(max_size=min(longest, 12))
    if kind is datetime.date:
        return st.dates(datetime.date(1900, 1, 1), datetime.date(2200, 1, 1)).map(str)
    if kind in (datetime.datetime, NaiveDatetime):
        return st.datetimes(datetime.datetime(1990, 1, 1), datetime.datetime(2200, 1, 1)).map(
            datetime.datetime.isoformat
        )
    if kind is types.NoneType:
        return st.none()
    raise TypeError(f"no values are known for {kind}")


def _between(low: float, high: float, whole: bool) -> st.SearchStrategy[object]:
    if whole:
        return st.integers(int(low), int(high))
    return st.one_of(st.sampled_from([low, high]), st.floats(low, high, allow_subnormal=False))


def _bounds(metadata: tuple[object, ...]) -> tuple[float, float]:
    low, high = -1e4, 1e4
    for one in metadata:
        for name, step in (("ge", 0.0), ("gt", 1e-3)):
            low = getattr(one, name) + step if getattr(one, name, None) is not None else low
        for name, step in (("le", 0.0), ("lt", 1e-3)):
            high = getattr(one, name) - step if getattr(one, name, None) is not None else high
    return low, max(low, high)


@cache
def whole(record: type[BaseModel]) -> st.SearchStrategy[object]:
    """A whole record: what is required, and some of the rest."""
    fields = {name: anything(one.annotation, tuple(one.metadata)) for name, one in record.model_fields.items()}
    required = {name: fields.pop(name) for name, one in record.model_fields.items() if one.is_required()}
    return st.fixed_dictionaries(required, optional=fields)


@st.composite
def changed(draw: st.DrawFn, kind: object, value: object, metadata: tuple[object, ...] = ()) -> object:
    """The value with something in it changed, or another value."""
    args = typing.get_args(kind)
    if typing.get_origin(kind) is typing.Annotated:
        return draw(changed(args[0], value, (*args[1:], *metadata)))
    records = [one for one in (kind, *args) if isinstance(one, type) and issubclass(one, BaseModel)]
    if isinstance(value, dict) and len(records) == 1 and typing.get_origin(kind) is not dict:
        fields = records[0].model_fields
        found = dict(value)
        for name in draw(st.lists(st.sampled_from(sorted(fields)), min_size=1, max_size=3, unique=True)):
            field = fields[name]
            found[name] = draw(changed(field.annotation, value.get(name), tuple(field.metadata)))
        return found
    if isinstance(value, list) and value and typing.get_origin(kind) is tuple:
        at = draw(st.integers(0, len(value) - 1))
        inner = args[0] if args[-1] is ... else args[min(at, len(args) - 1)]
        what = draw(st.sampled_from(["change", "change", "change", "drop", "twice"]))
        if what == "drop":
            return [*value[:at], *value[at + 1 :]]
        if what == "twice":
            return [*value[: at + 1], *value[at:]]
        return [*value[:at], draw(changed(inner, value[at])), *value[at + 1 :]]
    return draw(anything(kind, metadata))


@st.composite
def any_builds(draw: st.DrawFn, parts: tuple[str, ...] = ()) -> Build:
    """A valid build, two to nine of its parts drawn anew; `parts` restricts which of its parts they lie in."""
    build = draw(st.sampled_from(bases()))
    data = build.model_dump(mode="json")
    for name in draw(st.lists(st.sampled_from(parts or _PARTS), min_size=2, max_size=9)):
        field = Build.model_fields[name]
        after = {**data, name: draw(changed(field.annotation, data[name], tuple(field.metadata)))}
        try:
            build, data = read_build(after), after
        except ValidationError:
            continue
    return build


_PARTS = tuple(name for name in Build.model_fields if name not in ("format", "version"))
