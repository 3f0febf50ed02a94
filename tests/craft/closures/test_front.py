"""What opens the garment, and each way in and out (model, section 8); laces, rows and sections (section 9)."""

import pytest
from hypothesis import example, given
from hypothesis import strategies as st
from pydantic import ValidationError
from shapely.geometry import LineString, Point

from fuseau.commands.fields import change
from fuseau.craft.base.practice import Practice
from fuseau.craft.closures.back import check_lace
from fuseau.craft.closures.busk import choose_busk
from fuseau.craft.closures.choices import FrontChoices
from fuseau.craft.closures.front import plan_opening
from fuseau.craft.closures.rows import RowWishes, rows
from fuseau.craft.materials.catalogue import BUSKS, BUSKS_IN, GROMMETS, LACES, ZIPS_MM, BuskStock
from fuseau.craft.materials.stack import Stack
from fuseau.wording.faults import faults
from tests.kinds import built
from tests.plans import plan
from tests.saying import refused, said

PRACTICE = Practice()


def opened(opening, low=-130.0, high=150.0, **fields):
    choices = FrontChoices(opening=opening, **fields)
    busk = choose_busk(high, low, choices, PRACTICE)
    return plan_opening(choices, 3, (low, high), busk, PRACTICE), busk


# --- what opens


@pytest.mark.parametrize(("by_inches", "sizes"), [(0, {165, 200, 230, 250, 280, 305, 330, 355, 405}), (1, None)])
def test_a_busk_is_one_that_is_sold_where_she_buys(by_inches, sizes):
    busk = plan(built("overbust corset", practice__busks_in_half_inches=by_inches)).busk
    if sizes is None:
        assert (busk.length_mm / 12.7) == pytest.approx(round(busk.length_mm / 12.7))
        assert "1/2 in" in said(busk.reason, "in") or " in " in said(busk.reason, "in")
    else:
        assert busk.length_mm in sizes
    longer = busk.reason.given["longer_mm"]
    assert longer > busk.length_mm
    assert busk.reason.given["more_mm"] == pytest.approx(longer + 20 - busk.reason.given["cf_mm"])


@pytest.mark.parametrize("stock", [*BUSKS, *BUSKS_IN])
def test_every_busk_that_is_sold_has_studs_that_hold(stock):
    places = stock.stud_places()
    steps = [b - a for a, b in zip(places, places[1:], strict=False)]
    assert len(places) == stock.studs
    assert 40 <= min(steps) <= max(steps) <= 76


@given(st.floats(30, 300), st.floats(-300, -30))
def test_a_separating_zip_runs_to_both_ends_and_is_shortened_at_its_top(high, low):
    found, _ = opened("zip", low, high, line="side")
    room = high - low - 2 * PRACTICE.zip_clear_mm
    assert found.separates
    assert found.seam == 3
    assert found.bottom_z_mm == pytest.approx(low + PRACTICE.zip_clear_mm)
    assert found.top_z_mm <= high - PRACTICE.zip_clear_mm + 1e-9
    bought = found.bought[0].given["length_mm"]
    assert bought in ZIPS_MM["separating"]
    if room <= max(ZIPS_MM["separating"]):
        assert found.top_z_mm - found.bottom_z_mm == pytest.approx(room)
        assert bought == min(one for one in ZIPS_MM["separating"] if one >= room - 1)
        assert bought - room < 1 or "at its top" in said(found.why)


@given(st.floats(0, 120), st.floats(0, 120))
def test_a_zip_begins_and_ends_where_it_is_wished(top, hem):
    found, _ = opened("zip", from_top_mm=top, from_hem_mm=hem)
    assert found.top_z_mm == pytest.approx(150 - top)
    assert found.bottom_z_mm == pytest.approx(-130 + hem)
    assert found.separates == (hem <= 30)  # what stays closed at the hem does not come apart
    assert found.opens_low_mm == pytest.approx(-130 if hem <= 30 else -130 + hem)


def test_a_zip_longer_than_its_line_is_refused_at_its_field_and_one_that_fits_lies_where_she_says():
    with refused("longer than what is there") as caught:
        opened("zip", zip_mm=320.0)
    assert caught.value.at == "front.zip_mm"
    found, _ = opened("zip", zip_mm=200.0, from_hem_mm=0.0)
    assert (found.top_z_mm, found.bottom_z_mm) == (pytest.approx(70), pytest.approx(-130))
    assert opened("zip", zip_mm=200.0)[0].separates  # one that comes apart begins at the hem
    hidden, _ = opened("hidden zip", zip_mm=200.0)
    assert hidden.top_z_mm == pytest.approx(145)
    with refused("does not fill them") as caught:
        opened("zip", zip_mm=150.0, from_hem_mm=10.0, from_top_mm=10.0)
    assert caught.value.at == "front.zip_mm"
    with refused("250 mm at the most") as caught:
        opened("zip", from_hem_mm=0.0, from_top_mm=300.0, low=-140)
    assert caught.value.at == "front.from_top_mm"


def test_a_hidden_zip_stays_closed_below_and_is_shortened_there():
    found, _ = opened("hidden zip", -130, 150)
    assert not found.separates
    assert found.opens_low_mm == found.bottom_z_mm > -130
    assert "Shortened by 30 mm at its lower end to 270 mm" in said(found.why)
    assert "hidden zip, 300 mm" in map(said, found.bought)


@given(st.integers(2, 30))
def test_hooks_are_as_many_as_she_says_from_end_to_end(count):
    found, _ = opened("hooks", hook_count=count, from_top_mm=12.0, from_hem_mm=20.0)
    assert len(found.marks_z_mm) == count
    assert found.marks_z_mm[0] == pytest.approx(138)
    assert found.marks_z_mm[-1] == pytest.approx(-110)


def test_more_hooks_than_go_are_refused_with_the_most_that_do():
    with refused("34 at the most") as caught:
        opened("hooks", hook_count=60)
    assert caught.value.at == "front.hook_count"
    assert len(opened("hooks", hook_count=34)[0].marks_z_mm) == 34


def test_what_opens_on_both_halves_is_bought_twice():
    one, both = (opened("zip", line="side", half=half)[0] for half in ("left", "both"))
    assert both.minutes == 2 * one.minutes
    assert "twice" in " ".join(map(said, both.bought))
    assert (one.half, both.half) == ("left", "both")
    assert opened("zip", line="CF")[0].half is None


@given(st.floats(8, 40))
def test_hooks_lie_evenly_from_edge_to_edge(pitch):
    found, _ = opened("hooks", hook_pitch_mm=pitch)
    gaps = [a - b for a, b in zip(found.marks_z_mm, found.marks_z_mm[1:], strict=False)]
    assert max(gaps) - min(gaps) < 1e-6
    assert gaps[0] == pytest.approx(pitch, rel=0.2)
    assert found.marks_z_mm[0] == pytest.approx(150 - PRACTICE.zip_clear_mm)
    assert f"{len(found.marks_z_mm)} hooks and eyes" in said(found.title)


def test_an_own_busk_has_its_own_studs():
    own = BuskStock(length_mm=250, own_studs_mm=(18, 90, 160, 232))
    found, busk = opened("busk", busk=own)
    assert busk.length_mm == 250
    start = (280 - 250) / 2
    assert busk.studs_mm == pytest.approx([start + stud for stud in own.own_studs_mm])
    assert found.marks_z_mm == busk.studs_z_mm
    tight, busk = opened("busk", -80, 100, busk=own)
    assert busk.length_mm is None
    assert "this busk is 250 mm" in said(busk.reason)
    assert said(tight.title) == "No busk fits"


@pytest.mark.parametrize(
    ("fields", "at", "says"),
    [
        ({"length_mm": 200, "own_studs_mm": [20, 196]}, "own_studs_mm.1", "beyond the end of a busk"),
        ({"length_mm": 200, "own_studs_mm": [20, 30]}, "own_studs_mm.1", "leave too little between"),
        ({"length_mm": 200, "own_studs_mm": []}, "own_studs_mm", "Where are its studs?"),
        ({"length_mm": 0, "own_studs_mm": [20]}, "length_mm", "can't be right for a busk"),
    ],
)
def test_a_busk_that_cannot_be_is_told_at_its_field(fields, at, says):
    with pytest.raises(ValidationError) as caught:
        built("underbust corset", front__busk=fields)
    found = faults(caught.value)[0]
    assert found.at == f"front.busk.{at}"
    assert says in said(found.sentence)


def test_a_flap_hides_the_whole_opening():
    found, _ = opened("busk", flap=True)
    assert found.flap_mm == (pytest.approx(13 + PRACTICE.flap_more_mm), pytest.approx(280))
    assert opened("busk")[0].flap_mm is None


def test_a_front_of_150_mm_with_a_busk_wanted_says_what_works():
    build = built("cincher", draft__top__cf_mm="6 cm", draft__hem__cf_mm="9 cm", front__opening="busk")
    told = [one for one in plan(build).findings if one.code == "no_busk_fits"]
    assert "Hooks and eyes, or lacing, fit any length" in said(told[0].sentence)
    mended = plan(change(build, list(told[0].mend.changes), "cm"))
    assert not [one for one in mended.findings if one.code == "no_busk_fits"]
    zipped = plan(change(build, [one.model_copy(update={"value": "zip"}) for one in told[0].mend.changes], "cm"))
    assert zipped.opening.separates
    assert zipped.opening.top_z_mm - zipped.opening.bottom_z_mm == pytest.approx(150 - 2 * PRACTICE.zip_clear_mm, abs=1)


def test_a_thin_busk_wants_a_flat_steel_beside_it():
    build = built("underbust corset", front__thin=True, bones__beside_busk="synthetic_7")
    told = [one for one in plan(build).findings if one.code == "thin_busk"]
    assert told
    mended = plan(change(build, list(told[0].mend.changes), "cm"))
    assert not [one for one in mended.findings if one.code == "thin_busk"]
    assert next(one for one in mended.bones if one.channel == "CF").drawn == "bar"
    without = built("underbust corset", front__thin=True, bones__on_seams={"CF": "none"})
    told = [one for one in plan(without).findings if one.code == "thin_busk"]
    mended = plan(change(without, list(told[0].mend.changes), "cm"))
    assert not [one for one in mended.findings if one.code == "thin_busk"]


def test_a_front_lacing_has_two_bones_and_a_row_of_holes_on_each_side():
    found = plan(built("underbust corset", front__opening="lacing"))
    channels = [bone.channel for bone in found.bones]
    assert channels[:2] == ["CF outer", "CF inner"]
    assert "CF" not in channels
    assert found.holes.count == 2 * (len(found.holes.z_mm) + len(found.holes.front_z_mm))
    assert {(step.to.row, step.to.side) for step in found.front_walk} == {
        (row, side) for row in range(len(found.holes.front_z_mm)) for side in ("left", "right")
    }
    assert found.front_lace.getting_in_mm > found.front_lace.worn_mm
    cf = found.pattern.panels[0].cf_edge
    assert all(cf[0][1] < z < cf[-1][1] for z in found.holes.front_z_mm)


def test_a_seam_that_is_not_there_cannot_open():
    told = plan(built("underbust corset", front__opening="zip", front__line="8·9")).findings
    assert any(one.at == "front.line" and "no seam 8·9" in said(one.sentence) for one in told)
    side = plan(built("underbust corset", front__opening="zip", front__line="side", front__half="both"))
    assert side.opening.seam == side.pattern.front_panels
    label = f"{side.opening.seam}·{side.opening.seam + 1}"
    beside = {one.channel: one for one in side.bones if one.seam == side.opening.seam}
    assert set(beside) == {f"{label} CF", f"{label} CB"}  # no bone lies in a seam that opens
    cf = beside[f"{label} CF"]
    edge = LineString(side.pattern.panels[side.opening.seam - 1].cb_edge)
    wide = cf.channel_width_mm / 2 + PRACTICE.strip_margin_mm
    assert edge.distance(Point(cf.path[10])) == pytest.approx(side.opening.reach_mm + wide, abs=0.3)


# --- getting in


@pytest.mark.parametrize("opening", ["busk", "zip", "hooks", "lacing"])
def test_what_separates_is_the_first_way_in(opening):
    found = plan(built("overbust corset", front__opening=opening))
    assert found.ways[0].way == "by the front"
    assert found.ways[0].alone
    assert {way.way for way in found.ways} == {"by the front", "up over the hips", "over the head"}
    assert found.lace.getting_in_mm > found.lace.worn_mm - 2 * 450


def test_without_an_opening_the_lace_must_let_the_widest_through():
    found = plan(built("underbust corset", front__opening="none"))
    assert found.getting_in == min(found.ways, key=lambda way: way.gap_mm)
    for way in found.ways:
        narrowest = min(level.closed_mm for level in found.levels if level.gap_mm is not None)
        wanted = way.passes_mm * (1 - PRACTICE.passing_gives) + found.final.take_up_mm - narrowest
        assert way.gap_mm == pytest.approx(max(0, wanted))
    busk = plan(built("underbust corset"))
    assert found.lace.cut_mm > busk.lace.cut_mm


def test_a_hidden_zip_helps_as_far_as_it_opens():
    plain, zipped = (plan(built("boned bodice", front__opening=one)) for one in ("none", "hidden zip"))
    gaps = [{way.way: way.gap_mm for way in found.ways} for found in (plain, zipped)]
    assert all(gaps[1][way] <= gaps[0][way] for way in gaps[0])
    assert gaps[1]["up over the hips"] < gaps[0]["up over the hips"] - 20


def test_measured_shoulders_take_the_place_of_the_guess():
    guessed = plan(built("underbust corset"))
    measured = plan(built("underbust corset", wearer__shoulders_mm="101 cm"))
    ways = [next(way for way in found.ways if way.way == "over the head") for found in (guessed, measured)]
    assert "are a guess" in said(ways[0].sentence)
    assert "are a guess" not in said(ways[1].sentence)
    assert ways[1].passes_mm == 1010


def test_a_head_goes_through_a_collar_or_the_lace_must_let_it():
    found = plan(built("neck corset", wearer__head_mm="55 cm"))
    over = next(way for way in found.ways if way.way == "over the head")
    narrowest = min(level.closed_mm for level in found.levels if level.closed_mm is not None)
    assert over.gap_mm == pytest.approx(550 + found.final.take_up_mm - narrowest)
    assert not over.alone


def test_nobody_tightens_a_back_alone_without_pull_loops():
    build = built("underbust corset", brief__alone=True, back__pattern="spiral")
    told = [one for one in plan(build).findings if one.code == "not_alone"]
    assert told
    mended = plan(change(build, list(told[0].mend.changes), "cm"))
    assert not [one for one in mended.findings if one.code == "not_alone"]
    assert mended.getting_in.alone


# --- back


@example(90, 90, 26, 15)  # close rows that would leave the last one no room
@given(st.floats(90, 260), st.floats(90, 260), st.floats(22, 50), st.floats(14, 22))
def test_rows_can_lie_closer_near_the_waist_and_keep_their_ends(top, hem, pitch, near):
    plain = rows(top, -hem, pitch, PRACTICE)
    closer = rows(top, -hem, pitch, PRACTICE, RowWishes(waist_pitch_mm=near))
    assert list(closer) == sorted(closer, reverse=True)
    assert (closer[0], closer[-1]) == pytest.approx((plain[0], plain[-1]))
    assert {12.0, -12.0} <= set(closer)
    about = [z for z in closer if 12 <= z <= 50]
    if top > 130 and near < pitch - 1 and len(about) > 1:
        assert about[-2] - about[-1] == pytest.approx(near) or about[0] - about[1] == pytest.approx(near)
    assert len(closer) >= len(plain)


@pytest.mark.parametrize("lace", sorted(LACES))
@pytest.mark.parametrize("hole", sorted(GROMMETS))
def test_a_lace_that_does_not_run_through_is_told_with_one_that_does(lace, hole):
    kind = GROMMETS[hole]
    told = check_lace(LACES[lace], kind, 6.0, PRACTICE)
    too_thick = [one for one in told if one.code == "lace_too_thick"]
    assert bool(too_thick) == (LACES[lace].through_mm > kind.hole_mm - PRACTICE.lace_play_mm)
    for one in told:
        if one.mend:
            other = LACES[one.mend.changes[0].value]
            assert one.code not in {again.code for again in check_lace(other, kind, 6.0, PRACTICE)}


# --- sections


@pytest.mark.parametrize("made", ["between plies", "in the allowances", "inside tape", "outside tape"])
def test_a_channel_in_section_is_as_thick_as_its_plies_and_its_bone(made):
    found = plan(built("underbust corset", bones__made=made))
    stack = Stack()
    bone = next(one for one in found.bones if one.channel == "2·3")
    section = found.sections[f"{bone.kind}/{made}/1"]
    shell = stack.fashion_mm + stack.strength_mm
    more = {"in the allowances": shell + stack.lining_mm, "between plies": 0.0}.get(made, PRACTICE.channel_tape_mm)
    assert section.height_mm == pytest.approx(shell + stack.lining_mm + bone.thickness_mm + more)
    steel = [part for part in section.parts if part.what == "bone"]
    assert [(part.width_mm, part.height_mm) for part in steel] == [(bone.width_mm, bone.thickness_mm)]
    stitches = [part.x_mm + part.width_mm / 2 for part in section.parts if part.what == "stitch"]
    assert max(stitches) - min(stitches) == pytest.approx(bone.channel_width_mm)
    assert steel[0].x_mm > min(stitches)
    assert steel[0].x_mm + steel[0].width_mm < max(stitches)


def test_the_lacing_edge_in_section_keeps_the_flange_off_the_bones():
    found = plan(built("underbust corset"))
    parts = found.sections["edge"].parts
    flange = next(part for part in parts if part.what == "flange")
    for bone in (part for part in parts if part.what == "bone"):
        clear = max(bone.x_mm - (flange.x_mm + flange.width_mm), flange.x_mm - (bone.x_mm + bone.width_mm))
        assert clear >= PRACTICE.flange_clear_mm
    assert found.sections["edge"].width_mm == found.holes.edge_layout.needs_mm
