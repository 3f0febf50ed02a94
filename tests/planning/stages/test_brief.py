"""What follows from the brief: each answer's consequence, its reason, and the change that makes it so."""

import pytest

from fuseau.commands.fields import change
from fuseau.planning.stages.brief import consequences, job_word
from tests.conftest import edited
from tests.kinds import ALL_KINDS, built
from tests.plans import plan
from tests.saying import said as words


def said(build):
    return {words(one.because): one for one in consequences(build)}


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_every_kind_says_what_its_job_asks(kind):
    found = consequences(built(kind))
    assert len(found) >= 1
    assert all(words(one.because) and words(one.then) and not words(one.then).endswith(".") for one in found)


@pytest.mark.parametrize(
    ("fields", "word"),
    [
        ({"target__job": "none"}, "support"),
        ({"target__job": "reduction_share", "target__reduction_percent": 4}, "gentle shaping"),
        ({"target__job": "reduction_share", "target__reduction_percent": 8}, "reduction"),
        ({"target__job": "closed_waist", "target__closed_waist_mm": 600}, "reduction"),
    ],
)
def test_the_job_in_one_word(fields, word):
    assert job_word(built("underbust corset", **fields)) == word


@pytest.mark.parametrize(
    ("fields", "because", "at"),
    [
        ({"brief__alone": True, "front__opening": "none"}, "she gets in alone", "front.opening"),
        ({"brief__laced_by": "herself", "target__pull": "firm"}, "she laces it herself", "target.pull"),
        (
            {"brief__hours_worn": 8, "target__reduction_percent": 12},
            "it is worn 8 hours",
            "target.reduction_percent",
        ),
        ({"brief__movement": ["dance"], "bones__seams": "flat_6"}, "she bends and dances in it", "bones.seams"),
        ({"bones__lacing_edge": "synthetic_7"}, "it reduces", "bones.lacing_edge"),
    ],
)
def test_what_is_not_so_yet_can_be_made_so(fields, because, at):
    build = built("underbust corset", **fields)
    one = said(build)[because]
    assert at in {each.at for each in one.changes}
    made = change(build, list(one.changes), "cm")
    assert said(made)[because].changes == ()
    assert not plan(made).unmakeable


def test_sitting_asks_for_the_lap_until_it_is_measured():
    build = built("longline corset", brief__movement=["sit"])
    assert said(build)["she has to sit"].stage == "wearer"
    measured = edited(build, wearer__waist_to_lap_sitting_mm=170)
    assert said(measured)["she has to sit"].stage == "pattern"


def test_heat_driving_and_what_is_near_are_told():
    build = built(
        "overbust corset",
        brief__heat="hot",
        brief__movement=["drive", "raise arms"],
        brief__worn_under="a wool shirt",
        brief__covered="the back",
    )
    found = said(build)
    assert "take it easy in heat" in words(found["it will be hot"].then)
    assert "never drive hard" in words(found["she drives to get there"].then)
    assert found["a wool shirt under it"].stage == "wearer"
    assert "may be invented" in words(found["the back will be covered"].then)
    assert "under the arm" in words(found["she raises her arms"].then)


def test_a_collar_is_never_asked_to_reduce_or_open_in_front():
    build = built("neck corset", brief__alone=True, brief__hours_worn=9, brief__movement=["sit"])
    found = said(build)
    assert set(found) == {"it is worn round the neck"}
    assert "two fingers" in words(found["it is worn round the neck"].then)


def test_a_change_of_kind_keeps_the_answers_and_takes_the_kinds_defaults():
    build = built("underbust corset", brief__alone=True, brief__heat="hot", target__reduction_percent=12)
    after = edited(build, kind="foundation bodice")
    assert (after.brief.alone, after.brief.heat) == (True, "hot")
    assert after.target.job == "none"
    assert after.bones.lacing_edge == "flat_6"
    back = edited(after, kind="underbust corset")
    assert back.target.job == "reduction_share"
    assert back.bones.lacing_edge == "flat_12"
