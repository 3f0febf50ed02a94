"""Trims put on, changed and taken off; where they lie is tried before anything is kept (model, section 15)."""

from collections.abc import Mapping
from typing import Any

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit
from fuseau.document.build import Build, with_parts
from fuseau.planning.plan import Plan
from fuseau.planning.stages.trims import TrimGroup

GROUPS: Mapping[TrimGroup, str] = {
    "along": "t",
    "areas": "a",
    "flossing": "f",
    "hanging": "h",
    "straps": "s",
    "chains": "c",
}


def put_trim(build: Build, group: TrimGroup, written: Mapping[str, Any], unit: Unit) -> tuple[Build, int]:
    """The build with a trim more, or with another version of the one whose `key` is given; and its place in its group.

    Raises pydantic.ValidationError for what is wrong at `trims.<group>.<place>`.
    """
    trims = build.trims.model_dump(mode="json")
    there = trims[group]
    key = written.get("key") or _fresh(build, group)
    at = next((i for i, one in enumerate(there) if one["key"] == key), len(there))
    there[at : at + 1] = [{**(there[at] if at < len(there) else {}), **written, "key": key}]
    return with_parts(build, unit, trims=trims), at


def _fresh(build: Build, group: TrimGroup) -> str:
    """A key that no trim of the build has had and no step that was logged was of."""
    letter = GROUPS[group]
    used = list(build.trims.keys)
    steps = [*(entry.step for entry in build.make.log), *(one.step for one in build.make.done)]
    used += [step.removeprefix("trim ") for step in steps]
    numbers = [int(key[1:]) for key in used if key.startswith(letter) and key[1:].isdigit()]
    return f"{letter}{1 + max(numbers, default=0)}"


def check_trim(planned: Plan, group: TrimGroup, at: int) -> None:
    """Raises Unmakeable at the field of a trim that can't be as it is."""
    if planned.trims is None:
        return
    shown = getattr(planned.trims, group)
    if at < len(shown) and shown[at].fault is not None:
        fault = shown[at].fault
        raise Unmakeable(shown[at].fault_at or f"trims.{group}.{at}", fault.code, **fault.given)


def take_trim(build: Build, key: str, unit: Unit) -> Build:
    """The build without a trim. Raises Unmakeable where there is none of that key."""
    trims = build.trims.model_dump(mode="json")
    found = False
    for name in GROUPS:
        kept = [trim for trim in trims[name] if trim["key"] != key]
        found = found or len(kept) < len(trims[name])
        trims[name] = kept
    if not found:
        raise Unmakeable("trims", "trim.none")
    return with_parts(build, unit, trims=trims)
