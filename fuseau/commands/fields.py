"""Fields set: whatever a maker decides by typing or picking it."""

from typing import Any

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit
from fuseau.craft.materials.catalogue import OwnKinds
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build, plain, with_parts

_NEVER_SET = ("format", "version", "versions")
_ENTRIES = (
    "by_channel",
    "on_seams",
    "made_by_channel",
    "clearance_by_channel",
    "shares",
    "by_seam",
)  # what is set to None is taken out
_SAID_TWICE = {"front.hook_pitch_mm": "front.hook_count"}  # what was said later stands: the other follows from it


def change(build: Build, changes: list[Change], unit: Unit) -> Build:
    """The build with fields set. Values may be text in the maker's words; another kind brings its own defaults.

    Raises Unmakeable for a field that does not exist or is not for changing, and pydantic.ValidationError
    for a value that cannot be.
    """
    touched: dict[str, Any] = {}

    def put(change: Change) -> None:
        part = change.at.split(".")[0]
        if part not in touched and part in Build.model_fields:
            touched[part] = plain(build, part)
        _set(touched, change.at, change.value)

    for change in changes:
        put(change)
        if change.at == "kind" and isinstance(change.value, str) and change.value in GARMENT_KINDS:
            for usual in GARMENT_KINDS[change.value].defaults():
                put(usual)
    at = {change.at: change.value for change in changes}
    for later, gives_way in _SAID_TWICE.items():
        if at.get(later) is not None and at.get(gives_way) is None:
            put(Change(at=gives_way, value=None))
    return with_parts(build, unit, **touched)


def with_known(build: Build, catalogue: OwnKinds, changes: list[Change]) -> Build:
    """The build with those of the workshop's own bones and cloths that the changes name, unless it has its own."""
    named: set[str] = set()

    def look(value: Any) -> None:
        if isinstance(value, str):
            named.add(value)
        elif isinstance(value, dict):
            for one in value.values():
                look(one)
        elif isinstance(value, list | tuple):
            for one in value:
                look(one)

    for one in changes:
        look(one.value)
    own = build.catalogue
    bones = {name: kind for name, kind in catalogue.bones.items() if name in named and name not in own.bones}
    cloths = {name: cloth for name, cloth in catalogue.cloths.items() if name in named and name not in own.cloths}
    if not bones and not cloths:
        return build
    kept = own.model_copy(update={"bones": {**own.bones, **bones}, "cloths": {**own.cloths, **cloths}})
    return build.model_copy(update={"catalogue": kept})


def _is_place(part: str) -> bool:
    return part.isascii() and part.isdigit() and len(part) < 6


def _set(data: dict[str, Any], at: str, value: Any) -> None:
    *way, last = at.split(".")
    named = way[:1] == ["versions"] and len(way) == 2 and last in ("name", "note")
    if not named and (way[0] in _NEVER_SET if way else last not in ("kind", "taught", "strips", "garments", "pads")):
        raise Unmakeable(at, "not_by_hand")
    spot: Any = data
    for part in way:
        if isinstance(spot, list):
            if not _is_place(part) or int(part) >= len(spot):
                raise Unmakeable(at, "no_such_entry")
            spot = spot[int(part)]
        elif isinstance(spot, dict) and part in spot:
            spot = spot[part]
        else:
            raise Unmakeable(at, "no_such_field")
    if isinstance(spot, list) and _is_place(last) and int(last) <= len(spot):
        spot[int(last) : int(last) + 1] = [value]
    elif isinstance(spot, dict):
        if value is None and last not in spot:
            return
        if way and value is None and (way[-1] in _ENTRIES or way == ["catalogue", "bones"]):
            spot.pop(last)
        else:
            spot[last] = value
    else:
        raise Unmakeable(at, "no_such_field")
