"""What one build teaches another of their wearer counts once, whatever way it comes back (model, section 6)."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.document.build import Build, MeasuringRef
from fuseau.planning.cache import StageCache
from fuseau.planning.pipeline import believed
from fuseau.planning.workshop.taught import mark_of, news_for, rests_on, taught_by
from tests.cases.sweeps import cut, read
from tests.conftest import TODAY

KEPT = StageCache(most=16)
REF = MeasuringRef(wearer_id="w", measuring_id="m", taken_on=TODAY)


def of_wearer(build: Build, **update: object) -> Build:
    return build.model_copy(update={"measuring": REF, **update})


def waist(build: Build) -> tuple[float, float]:
    level = believed(build, KEPT)[0].body["waist"]
    return level.girth_mm, level.spread_mm


FIRST = of_wearer(read(cut("underbust corset"), lambda z: 14.0))
FRESH = of_wearer(cut("longline corset"))


def passed_on(taker: Build, other: Build):
    news = news_for(taker, other)
    return taught_by(news, "m", KEPT) if news is not None else None


def test_a_later_build_starts_from_what_the_first_taught():
    memory = passed_on(FRESH, FIRST)
    assert memory is not None
    assert memory.rests_on == (mark_of(FIRST, FIRST.fittings[0]),)
    assert waist(of_wearer(FRESH, taught=memory))[0] > waist(FRESH)[0] + 2


def test_what_comes_back_to_the_first_is_only_what_is_new_to_it():
    second = of_wearer(FRESH, taught=passed_on(FRESH, FIRST))
    assert passed_on(FIRST, second) is None  # it tried nothing on itself
    second = read(second, lambda z: 6.0)
    assert rests_on(second) > rests_on(FIRST)
    back = passed_on(FIRST, second)
    assert back is not None
    assert not set(back.rests_on) & rests_on(FIRST)
    alone = passed_on(FIRST, second.model_copy(update={"taught": None}))
    assert back.levels == alone.levels  # on the tape alone, as if the first had never taught it


def test_a_copy_teaches_its_original_nothing():
    copy = FIRST.model_copy(update={"brief": FIRST.brief.model_copy(update={"name": "A copy"})})
    assert passed_on(FIRST, copy) is None


def test_a_memory_that_does_not_say_what_it_rests_on_is_not_passed_back():
    memory = passed_on(FRESH, FIRST).model_copy(update={"rests_on": ()})
    second = read(of_wearer(FRESH, taught=memory), lambda z: 6.0)
    assert news_for(FIRST, second).taught is None


@settings(max_examples=4)
@given(st.integers(1, 4), st.floats(-8, 12))
def test_however_often_it_goes_round_nothing_is_believed_more_surely(rounds, off):
    first, second = FIRST, read(of_wearer(FRESH, taught=passed_on(FRESH, FIRST)), lambda z: off)
    spreads = []
    for _ in range(rounds):
        first = of_wearer(first, taught=passed_on(first, second))
        second = of_wearer(second, taught=passed_on(second, first))
        spreads.append((waist(first)[1], waist(second)[1]))
    assert spreads == [pytest.approx(spreads[0], abs=1e-6)] * rounds
