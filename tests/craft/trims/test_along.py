"""Beads and lace along a line: counted, measured, and stopped where what is at hand ends."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.trims.along import Meets, lay_along, spread
from fuseau.craft.trims.choices import Along, TrimLine
from fuseau.craft.trims.lines import Crossing, OnPanel, RunLine

RUN = RunLine(
    (OnPanel(panel=1, points=((0.0, 0.0), (300.0, 0.0)), from_mm=0.0),),
    300.0,
    (Crossing(seam="1·2", at_mm=100.0), Crossing(seam="2·3", at_mm=220.0)),
)


def laid(meets=True, run=RUN, side="", **fields):
    return lay_along(Along(key="t1", name="beads", **fields), run, meets=Meets(at_cf=meets), side=side)


@given(st.floats(5, 2000), st.floats(2, 200), st.sampled_from(["on both ends", "half a pitch in"]))
def test_pieces_lie_evenly_with_the_ends_as_wished(length, pitch, ends):
    at = spread(length, pitch, ends)
    steps = [b - a for a, b in zip(at, at[1:], strict=False)]
    assert all(step == pytest.approx(steps[0]) for step in steps)
    if ends == "on both ends":
        assert (at[0], at[-1]) == (0.0, pytest.approx(length))
    else:
        assert at[0] == pytest.approx(length - at[-1])
    if steps and length > 2 * pitch:
        assert 0.66 * pitch < steps[0] < 1.5 * pitch


def test_counts_of_both_halves_share_the_piece_on_cf():
    found = laid(pitch_mm=30)
    assert (found.count, found.pitch_mm) == (21, 30)
    assert laid(pitch_mm=30, meets=False).count == 22
    assert laid(pitch_mm=30, ends="half a pitch in").count == 20
    assert laid(pitch_mm=30, line=TrimLine(half="right")).count == 11
    assert found.works == (("bead by itself", 21.0),)
    assert laid(pitch_mm=6).works == (("beads along a line", 6.0),)


def test_what_runs_on_is_turned_in_at_its_ends():
    assert laid(turn_in_mm=10).needed_mm == 620
    assert laid(turn_in_mm=10, meets=False).needed_mm == 640
    found = laid(sewn="by machine", grams=20, price=5)
    assert (found.grams, found.price) == (pytest.approx(12.4), pytest.approx(3.1))
    assert found.works == (("trim by machine", 6.0),)
    assert laid(sewn="stuck or painted").thread_mm == 0


def test_beads_that_run_out_stop_at_the_last_seam_on_both_halves_or_lie_further_apart():
    found = laid(pitch_mm=30, at_hand=14)
    assert found.short == 7
    seam, out, wider = found.stops
    assert (seam.how, seam.seam, seam.at_mm, seam.count) == ("seam", "1·2", 100.0, 7)
    assert (out.how, out.at_mm, out.count) == ("runs out", 180.0, 13)
    assert (wider.how, wider.pitch_mm, wider.count) == ("wider", 50.0, 13)
    assert laid(pitch_mm=30, at_hand=21).stops == ()
    assert laid(pitch_mm=30, at_hand=0).stops == ()


def test_lace_that_is_too_short_stops_where_it_reaches():
    found = laid(at_hand_mm=460)
    assert found.short == 160
    seam, out = found.stops
    assert (seam.seam, seam.at_mm, seam.uses_mm) == ("2·3", 220.0, 460.0)
    assert (out.at_mm, out.uses_mm) == (220.0, 460.0)
    assert laid(at_hand_mm=430).stops[0].seam == "1·2"
    assert laid(at_hand_mm=15).stops == ()


def test_what_shows_from_the_front_ends_at_the_side():
    ways = [(one.how, one.seam) for one in laid(side="1·2", at_hand_mm=460).stops]
    assert ways == [("seam", "2·3"), ("shows", "1·2"), ("runs out", "")]
    ways = [(one.how, one.seam) for one in laid(side="2·3", at_hand_mm=460).stops]
    assert ways == [("shows", "2·3"), ("runs out", "")]
    seam, shows, *_ = laid(side="1·2", pitch_mm=30, at_hand=18).stops
    assert (seam.seam, shows.seam, shows.count) == ("2·3", "1·2", 7)
    assert [one.how for one in laid(side="2·3", pitch_mm=30, at_hand=14).stops] == ["seam", "runs out", "wider"]


@given(st.integers(1, 60), st.floats(5, 60), st.booleans(), st.sampled_from(["on both ends", "half a pitch in"]))
def test_no_way_out_takes_more_than_is_at_hand(at_hand, pitch, meets, ends):
    found = laid(pitch_mm=pitch, at_hand=at_hand, meets=meets, ends=ends)
    for stop in found.stops:
        assert stop.count <= at_hand
        if stop.how == "wider":
            again = laid(pitch_mm=stop.pitch_mm, at_hand=at_hand, meets=meets, ends=ends)
            assert again.count == stop.count


def test_so_few_that_they_would_lie_too_far_apart_are_not_spread_over_all():
    line = RunLine((OnPanel(panel=1, points=((0.0, 0.0), (900.0, 0.0)), from_mm=0.0),), 900.0, ())
    assert [one.how for one in laid(run=line, pitch_mm=50, at_hand=3).stops] == ["runs out"]


def test_on_loops_it_comes_off_for_washing():
    found = laid(pitch_mm=30, detachable=True)
    assert found.loops == 18
    assert found.works == (("loop for a trim", 18.0),)


@given(
    st.integers(1, 80),
    st.floats(5, 60),
    st.floats(60, 900),
    st.booleans(),
    st.sampled_from(["on both ends", "half a pitch in"]),
    st.sampled_from(["both", "right"]),
)
def test_a_way_out_that_is_taken_comes_to_what_was_told(at_hand, pitch, length, meets, ends, half):
    crossings = (Crossing(seam="1·2", at_mm=length * 0.31), Crossing(seam="2·3", at_mm=length * 0.74))
    part = OnPanel(panel=1, points=((0.0, 0.0), (length, 0.0)), from_mm=0.0)
    run = RunLine((part,), length, crossings)
    fields = {"at_hand": at_hand, "ends": ends, "line": TrimLine(half=half)}
    for stop in laid(meets, run, pitch_mm=pitch, side="1·2", **fields).stops:
        shorter = RunLine((part,), stop.at_mm, ())
        after = laid(meets, shorter, pitch_mm=stop.pitch_mm or pitch, **fields)
        assert (after.count, after.short) == (stop.count, 0)


@given(st.floats(10, 4000), st.floats(60, 900), st.booleans())
def test_lace_that_stops_where_it_is_told_to_is_enough(at_hand, length, meets):
    part = OnPanel(panel=1, points=((0.0, 0.0), (length, 0.0)), from_mm=0.0)
    run = RunLine((part,), length, (Crossing(seam="1·2", at_mm=length / 2),))
    for stop in laid(meets, run, at_hand_mm=at_hand).stops:
        after = laid(meets, RunLine((part,), stop.at_mm, ()), at_hand_mm=at_hand + 1e-6)
        assert after.needed_mm == pytest.approx(stop.uses_mm)
        assert after.short == 0
