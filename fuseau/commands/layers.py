"""Plies put in, taken out and moved, and cloths of her own."""

from collections.abc import Mapping
from typing import Any

from fuseau.commands.fields import change
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit
from fuseau.craft.materials.catalogue import entry_key
from fuseau.craft.materials.cloths import ClothName, Role
from fuseau.craft.plies.layers import Ply
from fuseau.document.build import Build

_USUAL: Mapping[Role, ClothName] = {
    "lining": "lawn",
    "interlining": "fusible_woven",
    "fashion": "sateen",
    "overlay": "lace",
}
_INSIDE_OUT: tuple[Role, ...] = ("lining", "strength", "interlining", "fashion", "overlay")


def put_ply(build: Build, role: Role, unit: Unit) -> Build:
    """The build with a ply more, of the cloth that usually does this, where such a ply lies.

    Raises Unmakeable for a second strength ply, and pydantic.ValidationError where there are too many.
    """
    if role == "strength":
        raise Unmakeable("layers.plies", "plies.one_carries")
    plies = build.layers.plies
    before = _INSIDE_OUT[: _INSIDE_OUT.index(role) + 1]
    place = next((i for i in range(len(plies), 0, -1) if plies[i - 1].role in before), 0)
    return _with(build, (*plies[:place], Ply(role=role, cloth=_USUAL[role]), *plies[place:]), unit)


def take_ply(build: Build, at: int, unit: Unit) -> Build:
    """The build without a ply. Raises Unmakeable where there is none, or it is the one that carries."""
    plies = build.layers.plies
    if not 0 <= at < len(plies):
        raise Unmakeable("layers.plies", "plies.no_such")
    if plies[at].role == "strength":
        raise Unmakeable("layers.plies", "plies.carries")
    return _with(build, (*plies[:at], *plies[at + 1 :]), unit)


def move_ply(build: Build, at: int, outward: bool, unit: Unit) -> Build:
    """The build with a ply one place further out or in. Raises Unmakeable where there is none, or no place for it, and
    pydantic.ValidationError where it cannot lie there.
    """
    plies, to = list(build.layers.plies), at + (1 if outward else -1)
    if not (0 <= at < len(plies) and 0 <= to < len(plies)):
        raise Unmakeable("layers.plies", "plies.no_such")
    plies[at], plies[to] = plies[to], plies[at]
    return _with(build, tuple(plies), unit)


def _with(build: Build, plies: tuple[Ply, ...], unit: Unit) -> Build:
    value = [ply.model_dump(mode="json") for ply in plies]
    return change(build, [Change(at="layers.plies", value=value)], unit)


def keep_cloth(build: Build, given: Mapping[str, Any], unit: Unit, ply: int | None = None) -> Build:
    """The build with a cloth of her own: a new one, or another version of the one it names; `ply` is then made of it.

    What is not given is as the cloth that the ply is made of now. Raises pydantic.ValidationError with the place of
    what is wrong, below `catalogue.cloths.<name>`, or Unmakeable where there is no such ply.
    """
    name = given.get("name") or entry_key(str(given.get("label") or "cloth"), build.cloths, "cloth")
    if ply is not None and ply >= len(build.layers.plies):
        raise Unmakeable("layers.plies", "plies.no_such")
    base = build.layers.plies[ply].cloth if ply is not None else "sateen"
    written = {**build.cloths[base].model_dump(mode="json"), **given, "name": name}
    kept = change(build, [Change(at=f"catalogue.cloths.{name}", value=written)], unit)
    return kept if ply is None else change(kept, [Change(at=f"layers.plies.{ply}.cloth", value=name)], unit)
