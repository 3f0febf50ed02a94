"""Told cases of single decisions: what was decided, and what she is told of it, how gravely, and where to mend it."""

import pytest

from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

CASES = {
    "plastic at the lacing edge": (
        "underbust corset",
        {"bones__lacing_edge": "plastic_6"},
        ("soft_edges", "caution", "CB", "bones.lacing_edge"),
    ),
    "flat steel on seams that curve, and none for curves": (
        "strapless bodice",
        {"bones__seams": "flat_12", "bones__curved": None},
        ("bone_wont_bend", "caution", "3·4", "bones.by_channel.3·4"),
    ),
    "a front shorter than any busk": (
        "underbust corset",
        {"draft__top__cf_mm": 50, "draft__hem__cf_mm": 60},
        ("no_busk_fits", "caution", "CF", "front.opening"),
    ),
    "a fifth off the waist": (
        "underbust corset",
        {"target__reduction_percent": 21},
        ("reduction", "stop", "Waist", "target.reduction_percent"),
    ),
    "a reduction without a waist tape": (
        "underbust corset",
        {"back__waist_tape": False},
        ("no_waist_tape", "caution", "Waist", "back.waist_tape"),
    ),
    "bones on the seams, in their allowances": (
        "underbust corset",
        {"bones__made": "in the allowances"},
        ("channel_in_allowances", "caution", "2·3", "bones.on_seams.2·3"),
    ),
}


@pytest.mark.parametrize("case", CASES)
def test_what_was_decided_is_told_where_it_can_be_mended_and_only_then(case):
    kind, decided, told = CASES[case]
    build = built(kind)
    found = [(one.code, one.severity, one.where, one.at) for one in plan(edited(build, **decided)).findings]
    assert told in found
    assert told not in [(one.code, one.severity, one.where, one.at) for one in plan(build).findings]


@pytest.mark.parametrize("case", CASES)
def test_what_she_decided_stands_whatever_is_told_of_it(case):
    kind, decided, _ = CASES[case]
    build = edited(built(kind), **decided)
    plan(build)
    for path, value in decided.items():
        kept = build
        for name in path.split("__"):
            kept = getattr(kept, name)
        assert kept == value
