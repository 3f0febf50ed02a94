"""Straps of a bodice and the shoulder pieces of a collar of the same wearer, told from either garment."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.commands.fields import change
from fuseau.planning.worn.over_shoulder import on_shoulder, overlaps, wearer_of
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built

COLLAR = built("neck corset", wearer__name="Marit", draft__shoulder_pieces=True)
BODICE = built("strapless bodice", wearer__name=" marit ")
SAY = Words("cm")


def strapped(**fields):
    return edited(BODICE, trims__straps=[{"key": "s1", "over_mm": 400, **fields}])


def other(build):
    return build.brief.name, wearer_of(build), on_shoulder(build)


def told(build, *others):
    return list(overlaps(build, [other(one) for one in others]))


def test_a_shoulder_piece_reaches_out_from_the_collarbone_and_lies_over_the_strap():
    # 470 mm round the collarbone, 1.35 as wide as deep: 85.0 mm from the middle; 70 mm down a slope of 22°: 64.9
    (piece,) = on_shoulder(COLLAR)
    assert piece.to_mm == pytest.approx(85.0 + 64.9, abs=0.1)
    (one,) = told(strapped(), COLLAR)
    assert (one.code, one.at) == ("shoulder.strap", "trims.straps.0.shoulder_out_mm")
    assert "The shoulder piece of A neck corset, of the same wearer, reaches 15.0 cm out" in SAY(one.sentence)
    assert "lies over 25 mm of its 25 mm" in SAY(one.sentence)
    (back,) = told(COLLAR, strapped())
    assert "lies over 25 mm of “strap” of A strapless bodice" in SAY(back.sentence)


def test_out_of_the_way_is_offered_while_the_strap_stays_on_the_shoulder():
    assert told(strapped(), COLLAR)[0].mend is None  # it would slide off
    narrow = edited(COLLAR, practice__shoulder_width_mm=40)
    (one,) = told(strapped(), narrow)
    moved = change(strapped(), one.mend.changes, "cm")
    assert told(moved, narrow) == []
    assert moved.trims.straps[0].shoulder_out_mm == pytest.approx(85 + 37.1 + 5 + 12.5, abs=1)


def test_what_lies_round_the_neck_meets_a_halter_and_nothing_else():
    plain = edited(COLLAR, draft__shoulder_pieces=False)
    assert told(strapped(), plain) == []
    (one,) = told(strapped(kind="halter"), plain)
    assert one.at == "trims.straps.0.kind"
    assert "The collar of A neck corset" in SAY(one.sentence)
    assert told(strapped(kind="off the shoulder", arm_mm=280), COLLAR) == []


def test_other_wearers_nobody_and_an_unmeasured_neck_say_nothing():
    assert told(strapped(), edited(COLLAR, wearer__name="Oda")) == []
    assert told(edited(strapped(), wearer__name=""), edited(COLLAR, wearer__name="")) == []
    bare = edited(COLLAR, wearer__collarbone__readings_mm=[], wearer__neck_base__readings_mm=[])
    assert on_shoulder(bare) == ()
    base = edited(COLLAR, wearer__collarbone__readings_mm=[])
    assert on_shoulder(base)[0].to_mm == pytest.approx(on_shoulder(COLLAR)[0].to_mm, abs=10)
    assert told(strapped(), strapped()) == []


@given(st.floats(30, 300), st.floats(3, 200), st.floats(30, 160))
def test_both_garments_tell_the_same_overlap(out, wide, reach):
    collar, bodice = edited(COLLAR, practice__shoulder_width_mm=reach), strapped(shoulder_out_mm=out, wide_mm=wide)
    mine, theirs = told(bodice, collar), told(collar, bodice)
    assert [one.numbers["lap_mm"] for one in mine] == [one.numbers["lap_mm"] for one in theirs]
    assert all(0 < one.numbers["lap_mm"] <= wide + 1e-9 for one in mine)
