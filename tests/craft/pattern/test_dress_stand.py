"""A dress stand beside the wearer (model, section 2)."""

import math

import pytest

from fuseau.craft.pattern.dress_stand import Stand, check_stand, padding
from tests.conftest import edited
from tests.craft.pattern.test_pattern import BODY, HEM, TOP
from tests.plans import plan
from tests.saying import said, unread

STAND = Stand(name="grey stand", underbust_mm=740, waist_mm=703, hip_mm=985, above_waist_mm=90, below_waist_mm=400)


def test_padding_is_wearer_minus_stand_at_each_level_it_has():
    found = {level.name: level for level in padding(STAND, BODY, near_mm=5)}
    assert set(found) == {"underbust", "waist", "hip"}
    assert (found["underbust"].kind, found["underbust"].change_mm) == ("pad", 30)
    assert found["underbust"].layer_mm == pytest.approx(30 / (2 * math.pi))
    assert found["waist"].kind == "as it is"
    assert (found["hip"].kind, found["hip"].layer_mm) == ("pin out", 0)


def test_padding_a_stand_by_what_it_lacks_makes_it_the_wearer():
    for level in padding(STAND, BODY, near_mm=5):
        if level.kind == "pad":
            padded = level.stand_mm + 2 * math.pi * level.layer_mm
            assert padded == pytest.approx(level.wearer_mm)


def test_a_stand_too_short_and_too_big_is_told_with_its_name():
    found = check_stand(STAND, padding(STAND, BODY, 5), TOP, HEM)
    assert [(finding.code, finding.severity) for finding in found] == [
        ("stand_bigger", "advice"),
        ("stand_too_short", "caution"),
    ]
    assert "2.5 cm bigger" in said(found[0].sentence)
    assert "The grey stand ends 9.0 cm above the waist" in said(found[1].sentence)
    assert check_stand(Stand(), (), TOP, HEM) == []


def test_the_plan_pads_to_what_is_believed(measured):
    build = edited(measured, stand__waist_mm="68 cm", stand__above_waist_mm="5 cm")
    found = plan(build)
    (level,) = found.stand
    assert level.change_mm == pytest.approx(found.body["waist"].girth_mm - 680)
    assert "stand_too_short" in {finding.code for finding in found.findings}


def test_a_stands_girth_that_cannot_be_is_refused():
    with unread("can't be right for a stand's girth"):
        Stand(waist_mm=70)
