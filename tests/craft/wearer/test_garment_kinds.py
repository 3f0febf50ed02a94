"""Every kind of garment: drafted, settled, with its own edges, limits and pieces (handbook 1; model, section 4)."""

import math

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon

from fuseau.craft.base.curves import lengths_along
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.cups import make_cup
from fuseau.craft.pattern.refit import refit
from fuseau.craft.wearer.body import believe, signed_heights
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import FULL_TORSO, Level, Wearer, Zones, check_measures
from tests.conftest import edited
from tests.kinds import ALL_KINDS, WHOLE, built
from tests.plans import plan
from tests.saying import said, unread

PRACTICE = Practice()
NEEDED = ("bust", "underbust", "waist", "hip")


def body(**changes):
    wearer = Wearer.model_validate({**WHOLE, **changes})
    return believe(wearer, Zones(), PRACTICE, FULL_TORSO, NEEDED)


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_each_kind_is_drafted_true_and_settles_parallel_at_its_gap(kind):
    planned = plan(built(kind))
    pattern = planned.pattern
    assert not planned.unmakeable
    assert len(pattern.panels) == GARMENT_KINDS[kind].panels[1]
    assert planned.gap_shape.shape == "parallel"
    assert planned.gap_shape.mean_mm == pytest.approx(GARMENT_KINDS[kind].gap_mm, abs=1)
    for seam in planned.seams:
        assert seam.cf_side_mm == pytest.approx(seam.cb_side_mm, abs=0.5)
    assert all(Polygon(panel.outline).is_valid for panel in pattern.panels)
    drafted = planned.drafted
    halves = drafted.shape.half_girth(drafted.shape.nominal)
    assert 2 * halves == pytest.approx(drafted.shape.sewn_girth(drafted.shape.nominal), abs=0.1)
    assert not [finding for finding in planned.findings if finding.severity == "stop"]


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_each_kind_asks_for_its_own_measures(kind):
    from fuseau.commands.fields import change
    from fuseau.craft.base.findings import Change
    from fuseau.document.build import Build

    planned = plan(change(Build(), [Change(at="kind", value=kind)], "cm"))
    assert planned.missing == GARMENT_KINDS[kind].needed
    assert planned.findings[-1].at == f"wearer.{GARMENT_KINDS[kind].needed[0]}.readings_mm"


def test_front_hems_clear_the_lap_and_edges_fit_their_kind():
    lap = 175
    longline = plan(built("longline corset", wearer__waist_to_lap_sitting_mm=lap)).pattern
    assert -longline.hem.cf_mm <= lap - 20
    assert -longline.hem.side_mm > -plan(built("underbust corset")).pattern.hem.side_mm + 40
    cincher = plan(built("cincher", front__opening="busk"))
    assert cincher.pattern.top.cf_mm < plan(built("underbust corset")).pattern.top.cf_mm / 1.5
    assert cincher.busk.length_mm is None
    assert "no_busk_fits" in {finding.code for finding in cincher.findings}
    over = plan(built("overbust corset"))
    assert over.pattern.top.cf_mm > over.body["bust"].front_mm


def test_a_collar_is_never_tight_and_clears_jaw_and_collarbone():
    planned = plan(built("neck corset"))
    assert planned.pattern.zero == "neck base"
    reached = [level for level in planned.levels if level.closed_mm is not None]
    assert [level.name for level in reached] == ["neck_base"]
    for level in reached:
        assert level.closed_mm + planned.gap_shape.mean_mm - planned.final.take_up_mm == pytest.approx(
            level.body_mm + PRACTICE.neck_ease_mm, abs=0.6
        )
        assert level.pressure_kpa in (None, 0.0)
    assert planned.pattern.top.cf_mm <= planned.body["upper_neck"].front_mm - 6
    tall = plan(built("neck corset", draft__top__cf_mm=70))
    (jaw,) = [finding for finding in tall.findings if finding.code == "meets_jaw"]
    mended = plan(
        edited(built("neck corset"), **{jaw.mend.changes[0].at.replace(".", "__"): jaw.mend.changes[0].value})
    )
    assert "meets_jaw" not in {finding.code for finding in mended.findings}
    assert planned.getting_in.way == "round the neck"
    assert not planned.getting_in.alone


def test_shoulder_pieces_are_as_long_as_the_hem_they_are_sewn_to():
    planned = plan(built("neck corset", draft__shoulder_pieces=True))
    front, back = planned.pattern.pieces
    hems = [float(lengths_along(*np.array(panel.hem).T)[-1]) for panel in planned.pattern.panels]
    assert front.edges_mm["inner edge"] == pytest.approx(sum(hems[:2]))
    assert back.edges_mm["inner edge"] == pytest.approx(sum(hems[2:]))
    for piece in (front, back):
        outline = np.array(piece.outline)
        inner, outer = outline[:41], outline[41:]
        assert float(lengths_along(*inner.T)[-1]) == pytest.approx(piece.edges_mm["inner edge"], abs=0.05)
        assert float(lengths_along(*outer.T)[-1]) == pytest.approx(piece.edges_mm["outer edge"], abs=0.05)
        assert piece.edges_mm["outer edge"] > piece.edges_mm["inner edge"]


@settings(max_examples=30)
@given(st.floats(840, 1000), st.floats(150, 220))
def test_a_cup_keeps_the_way_over_the_bust_point_and_the_length_of_its_wire(bust, apart):
    found = body(bust={"readings_mm": [bust], "front_arc_mm": bust * 0.55})
    try:
        cup = make_cup(found, apart, PRACTICE)
    except Unmakeable:
        assert bust < 900
        return
    assert cup.wire_diameter_mm == pytest.approx(PRACTICE.cup_wire_share * apart)
    assert cup.wire_mm == pytest.approx(cup.wire_diameter_mm * math.radians(78))
    inner, outer = cup.pieces
    assert inner.edges_mm == outer.edges_mm
    # the seam runs over the bust point from the wire's lowest point: half the way across, and what is above
    half = cup.across_mm / 2
    assert inner.edges_mm["seam over the bust point"] == pytest.approx(1.35 * half, rel=0.005)
    assert abs(cup.eased_in_mm) < 0.15 * cup.wire_mm
    assert Polygon(inner.outline).is_valid
    seam = np.array(inner.outline[:41])
    chord = seam[-1] - seam[0]
    off = seam - seam[0]
    bulge = np.abs(chord[0] * off[:, 1] - chord[1] * off[:, 0]).max() / np.hypot(*chord)
    assert bulge > 2  # a straight seam would make no depth


def test_a_flat_front_needs_no_cups_and_says_so():
    planned = plan(built("strapless bodice", wearer__bust={"readings_mm": [780], "front_arc_mm": 400}))
    assert planned.unmakeable
    assert "needs no cups" in said(planned.findings[-1].sentence)


def test_the_body_under_a_cup_follows_the_wire():
    planned = plan(built("strapless bodice"))
    cup, top = planned.pattern.cup, planned.pattern.top
    lowest = min(point.z_mm for point in top.points)
    assert lowest == pytest.approx(planned.body["bust"].front_mm - cup.wire_diameter_mm / 2, abs=0.1)
    assert {piece.name for piece in planned.pattern.pieces} == {"cup, inner", "cup, outer"}
    front = np.vstack([np.array(panel.top) for panel in planned.pattern.panels[:2]])
    assert front[:, 1].min() < planned.body["underbust"].front_mm + 25


def test_a_bodice_in_one_piece_joins_what_touches():
    apart = plan(built("boned bodice"))
    whole = plan(built("boned bodice", draft__one_piece=True))
    assert apart.pattern.joined == ()
    assert whole.pattern.joined
    assert [level.closed_mm for level in whole.levels] == pytest.approx([level.closed_mm for level in apart.levels])


def test_a_left_half_that_has_more_is_drafted_apart():
    planned = plan(built("underbust corset", wearer__waist__left_more_mm=12))
    pattern = planned.pattern
    assert pattern.left_panels is not None
    left = sum(panel.widths_mm["waist"] for panel in pattern.left_panels)
    right = sum(panel.widths_mm["waist"] for panel in pattern.panels)
    assert left - right == pytest.approx(12, abs=0.1)
    waist = next(level for level in planned.levels if level.name == "waist")
    assert left + right == pytest.approx(waist.closed_mm, abs=0.1)
    assert planned.left is not None
    assert plan(built("underbust corset", wearer__waist__left_more_mm=2)).pattern.left_panels is None


def test_tension_pulled_by_hand_is_kept_and_ribs_are_guarded():
    usual = plan(built("underbust corset"))
    pulled = plan(built("underbust corset", target__shares={"high_hip": 0.2}))
    at = [level.name for level in usual.body].index("high_hip")
    assert pulled.aim.tension_n_per_m[at] < usual.aim.tension_n_per_m[at] - 20
    assert pulled.gap_shape.shape == "parallel"
    with unread("Ribs are not to be reshaped"):
        built("underbust corset", target__shares={"ribs": 0.8})


@settings(max_examples=25)
@given(st.floats(-40, 60), st.floats(-30, 30), st.sampled_from(["underbust corset", "longline corset", "cincher"]))
def test_a_refit_has_the_girths_that_the_aim_differs_by_and_to_the_same_wearer_nothing_changes(waist, hip, kind):
    old = plan(built(kind))
    pattern = old.drafted
    same = refit(pattern, old.body, old.body, np.zeros(5), 50)
    assert same == pattern
    more = {"waist": {"readings_mm": [700 + waist]}, "hip": {"readings_mm": [962 + hip], "height_side_mm": 205}}
    other = built(kind, **{f"wearer__{name}": level for name, level in more.items()})
    new = plan(other)
    change = np.array(new.aim.sewn_mm) - np.array(old.aim.sewn_mm)
    fitted = refit(pattern, old.body, new.body, change, 50)
    heights = np.array([level.side_mm for level in new.body])
    moved = refit(pattern, old.body, new.body, np.zeros(5), 50).shape.sewn_girth(heights)
    assert fitted.shape.sewn_girth(heights) - moved == pytest.approx(change, abs=0.2)
    assert [station.side_mm for station in fitted.stations] == pytest.approx(list(heights), abs=1e-6)


def test_heights_that_nobody_took_lie_between_those_that_were():
    wearer = Wearer(underbust=Level(height_front_mm=80, height_back_mm=100), high_bust=Level(height_side_mm=230))
    assert signed_heights(wearer, "underbust") == (80, 90, 100)
    ribs = signed_heights(wearer, "ribs")[1]
    bust = signed_heights(wearer, "bust")[1]
    assert 0 < ribs < 90 < bust < 230


def test_arcs_place_the_side_seam_and_must_make_the_girth():
    found = body(waist={"readings_mm": [700], "front_arc_mm": 360, "back_arc_mm": 340})
    assert found["waist"].front_share == pytest.approx(360 / 700)
    wearer = Wearer(waist=Level(readings_mm=(700.0,), front_arc_mm=360, back_arc_mm=300))
    (finding,) = check_measures(wearer, ("waist",), PRACTICE)
    assert finding.code == "arcs_differ"
    assert "one of the three is off" in said(finding.sentence)
