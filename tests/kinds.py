"""Builds of every kind that tests start from: one made-up wearer, measured from neck to hip."""

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from tests.conftest import MEASURES, edited

WHOLE = {
    **MEASURES,
    "bust": {"readings_mm": [912, 915], "height_front_mm": 165, "height_side_mm": 150, "height_back_mm": 150},
    "high_bust": {"readings_mm": [860]},
    "upper_neck": {"readings_mm": [335]},
    "neck_base": {"readings_mm": [372]},
    "collarbone": {"readings_mm": [470]},
}


def built(kind: str, **fields: object) -> Build:
    """A build of a kind with its own defaults and all measures."""
    build = edited(Build(), **{f"wearer__{name}": level for name, level in WHOLE.items()})
    build = change(build, [Change(at="kind", value=kind), Change(at="brief.name", value=f"A {kind}")], "cm")
    return edited(build, **fields) if fields else build


ALL_KINDS = tuple(GARMENT_KINDS)
