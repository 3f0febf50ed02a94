"""Stripes across seams, held against edges whose lean is known; and what a repeat costs."""

import math

import pytest

from fuseau.craft.base.practice import Practice
from fuseau.craft.plies.repeats import matches, repeat_cloth
from fuseau.planning.stages.cut import plan_cut
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan
from tests.saying import said


class Panel:
    """As much of a laid panel as is looked at: its number and its edges, whose lean is given by height."""

    def __init__(self, number, cf_lean, cb_lean):
        self.number = number
        self.cf_edge = edge(cf_lean)
        self.cb_edge = edge(cb_lean)


def edge(lean):
    """An edge from −100 to 120 mm that leans at each height by so many degrees."""
    x, found = 0.0, []
    for z in range(-100, 121):
        found.append((x, float(z)))
        x += math.tan(math.radians(lean(z)))
    return tuple(found)


def test_edges_that_lean_alike_meet_all_along_whichever_way_they_lean():
    (found,) = matches((Panel(1, lambda z: 0, lambda z: 7), Panel(2, lambda z: -7.5, lambda z: 0)), (1, 2), Practice())
    assert found.seam == "1·2"
    assert found.whole


def test_it_breaks_where_one_edge_leans_away():
    bends = Panel(1, lambda z: 0, lambda z: 5 if z <= 60 else 11)
    (found,) = matches((bends, Panel(2, lambda z: 5, lambda z: 0)), (1, 2), Practice())
    assert not found.whole
    assert found.high_mm == pytest.approx(60, abs=7)  # a lean over less than 12 mm is not seen
    assert found.low_mm == pytest.approx(-100, abs=2)


def test_edges_that_differ_at_the_waist_meet_nowhere_and_a_ply_that_stops_has_no_seam():
    apart = Panel(1, lambda z: 0, lambda z: 0), Panel(2, lambda z: 6, lambda z: 0)
    (found,) = matches(apart, (1, 2), Practice())
    assert found.low_mm == found.high_mm
    assert matches(apart, (1,), Practice()) == ()


def test_a_repeat_costs_one_of_itself_for_each_piece():
    assert repeat_cloth([(100, 300, 2)], 160, 120, 1000) == pytest.approx(2 * (220 * 460 - 100 * 300) / 1000)
    assert repeat_cloth([], 160, 120, 1000) == 0


def test_she_is_told_how_far_a_stripe_goes_and_what_it_costs():
    build = edited(built("underbust corset"), layers__plies__2__cloth="brocade", layers__plies__2__matched=True)
    planned = plan(build)
    repeat = planned.layers.repeats[2]
    assert (repeat.along_mm, repeat.across_mm) == (160, 120)
    assert len(repeat.seams) == len(planned.pattern.panels) - 1
    brocade = next(one for one in plan_cut(build, planned).cloths if one.cloth == "brocade")
    assert brocade.repeats_mm > 160
    assert brocade.beside_mm == brocade.strips_mm + brocade.repeats_mm
    motif = edited(build, layers__plies__2__matched=False, layers__plies__2__motif_on=[1])
    centred = next(one for one in plan_cut(motif, plan(motif)).cloths if one.cloth == "brocade")
    assert 0 < centred.repeats_mm < brocade.repeats_mm
    plain = edited(built("underbust corset"), layers__plies__2__matched=True)
    assert any("no repeat to match" in said(one.sentence) for one in plan(plain).findings)


def test_a_thin_fashion_cloth_asks_for_something_under_it_and_is_content_once_it_has_it():
    build = edited(built("underbust corset"), layers__plies__2__cloth="taffeta")
    told = next(one for one in plan(build).findings if one.code == "thin_fashion")
    mended = edited(build, **{told.mend.changes[0].at.replace(".", "__"): told.mend.changes[0].value})
    assert [ply.role for ply in mended.layers.plies] == ["lining", "strength", "interlining", "fashion"]
    assert all(one.code != "thin_fashion" for one in plan(mended).findings)
    assert all(one.code != "thin_fashion" for one in plan(built("underbust corset")).findings)


def test_a_method_costs_the_cloth_that_it_takes():
    sides = {one.name: one for one in plan(built("underbust corset")).layers.methods}
    assert all(10 < one.price < 120 for one in sides.values())
    bare = edited(built("underbust corset"), layers__plies=[{"role": "strength", "cloth": "coutil"}])
    by_name = {one.name: one for one in plan(bare).layers.methods}
    added = [one for one in by_name.values() if one.adds_lining]
    assert added
    assert all(one.price > by_name["channels between the plies"].price for one in added)
