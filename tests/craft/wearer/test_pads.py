"""Padding: what it adds to her girths, how it runs out, and the layers it is glued from."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.base.curves import area_of
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.wearer.pads import Pad, along_back, check_pads, girths_added, make_pad
from tests.kinds import built

BODY = built("longline corset").body
HIP = BODY["hip"]


def added(*pads, gives=0.0):
    return dict(zip([one.name for one in BODY], girths_added(pads, BODY, gives), strict=True))


def test_padding_at_both_sides_widens_the_ellipse():
    # hip 968 mm, 1.4 as wide as deep: b = 968 / (2π·√((1.4² + 1)/2)) = 126.64, a = 177.29; 20 mm more on each side
    deep = HIP.girth_mm / (2 * math.pi * math.sqrt((1.4**2 + 1) / 2))
    worn = 2 * math.pi * math.sqrt(((1.4 * deep + 20) ** 2 + deep**2) / 2)
    found = added(Pad(level="hip", thick_mm=20))
    assert found["hip"] == pytest.approx(worn - HIP.girth_mm)
    assert sum(found.values()) == found["hip"]
    assert added(Pad(level="hip", thick_mm=25), gives=0.2)["hip"] == pytest.approx(found["hip"])
    front, back = (
        added(Pad(level="hip", place="front", thick_mm=20)),
        added(Pad(level="hip", place="back", thick_mm=20)),
    )
    assert front["hip"] == pytest.approx(back["hip"])
    assert 0 < front["hip"] < found["hip"]
    assert added(Pad(level="hip", place="all round", thick_mm=20))["hip"] > found["hip"]


def test_it_runs_out_to_the_next_levels():
    girths = girths_added([Pad(level="high_hip", thick_mm=15)], BODY, 0.0)
    along = dict(along_back(girths, BODY))
    assert along[BODY["waist"].back_mm] == along[HIP.back_mm] == 0
    assert along[BODY["high_hip"].back_mm] > 40
    ends = along_back(girths_added([Pad(level="hip", thick_mm=15)], BODY, 0.0), BODY)
    assert ends[0] == (HIP.back_mm - 80, 0.0)
    assert along_back(np.zeros(len(BODY.levels)), BODY) == ()


def test_where_it_is_laced_and_twice_in_one_place_are_refused_at_the_field():
    for pads, at in (
        ([Pad(level="waist", thick_mm=10)], "pads.0.level"),
        ([Pad(level="hip", thick_mm=10), Pad(level="hip", thick_mm=12)], "pads.1.place"),
    ):
        with pytest.raises(Unmakeable) as refused:
            check_pads(pads, BODY)
        assert refused.value.at == at
    check_pads([Pad(level="hip", thick_mm=10), Pad(level="hip", place="back", thick_mm=12)], BODY)


def test_a_thick_pad_is_layers_that_lie_in_each_other():
    made = make_pad(Pad(level="high_hip", thick_mm=20), BODY, 6.0, 0.15)
    areas = [area_of(layer.outline) for layer in made.layers]
    assert len(areas) == 3  # 18 mm come nearest
    assert areas == sorted(areas, reverse=True)
    assert (made.count, made.name) == (2, "high hip pad")
    assert make_pad(Pad(level="high_hip", place="back", thick_mm=5), BODY, 6.0, 0.15).count == 1
    assert make_pad(Pad(level="bust", thick_mm=20), built("cincher").body, 6.0, 0.15) is None


@given(st.floats(3, 80), st.floats(3, 10), st.sampled_from(["sides", "front", "back", "all round"]))
def test_layers_come_to_the_thickness(thick, sheet, place):
    made = make_pad(Pad(level="hip", place=place, thick_mm=thick), BODY, sheet, 0.0)
    assert abs(sheet * len(made.layers) - thick) <= sheet / 2 + 1e-6 or (len(made.layers) == 1 and thick < sheet)
    for layer in made.layers:
        points = np.array(layer.outline)
        assert np.allclose(points[:, 0].max(), -points[:, 0].min())
        assert area_of(layer.outline) > 0
        assert np.isfinite(points).all()


@given(st.floats(3, 80), st.floats(0, 0.6))
def test_more_padding_is_more_girth(thick, gives):
    some, more = (added(Pad(level="hip", thick_mm=mm), gives=gives)["hip"] for mm in (thick * 0.9 + 0.3, thick))
    assert 0 < some <= more + 1e-9 or thick < 3.1
