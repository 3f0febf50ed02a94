"""Whatever a build holds, it is planned to an answer: a plan, or a plain sentence why it can't be made."""

import json

import pytest
from hypothesis import given, settings

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.wearer.body import check_rise
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import read_build
from fuseau.planning.pipeline import plan
from fuseau.planning.stages.make import make_up
from fuseau.planning.thread import thread
from fuseau.wording import Words
from tests.any_builds import any_builds
from tests.conftest import edited
from tests.kinds import ALL_KINDS, built

HEART = ("wearer", "kind", "draft", "target", "zones", "versions", "fittings", "taught", "measuring")


def answered(build) -> None:
    planned = plan(build)
    assert planned.pattern is not None or planned.missing or planned.unmakeable
    thread(build, planned)
    written = planned.model_dump(mode="json", context=Words("in").context)
    json.dumps(written, allow_nan=False)
    made = make_up(build, planned)
    json.dumps(made.model_dump(mode="json", context=Words("in").context), allow_nan=False)
    assert {*made.order, *(one.step.key for one in made.steps if one.done)} <= {one.step.key for one in made.steps}
    if planned.unmakeable:
        assert planned.findings[-1].severity == "stop"


@settings(max_examples=10)
@given(any_builds())
def test_any_build_is_planned_to_an_answer(build):
    answered(build)


@settings(max_examples=8)
@given(any_builds(HEART))
def test_any_wearer_pattern_and_fitting_is_planned_to_an_answer(build):
    answered(build)


@settings(max_examples=8)
@given(any_builds())
def test_any_build_is_the_same_after_its_file(build):
    assert read_build(json.loads(build.model_dump_json())) == build


@pytest.mark.parametrize("kind", [kind for kind in ALL_KINDS if "underbust" in GARMENT_KINDS[kind].levels])
@pytest.mark.parametrize("height", [10, 20, 40])
@pytest.mark.parametrize("sides", [("front", "side", "back"), ("side",), ("front", "back")])
def test_an_underbust_close_above_the_waist_is_planned_or_told_at_a_field(kind, height, sides):
    build = edited(built(kind), **{f"wearer__underbust__height_{side}_mm": height for side in sides})
    planned = plan(build)
    assert planned.pattern is not None or planned.findings[-1].at.startswith(("wearer.", "draft.")), planned.findings[
        -1
    ]


@pytest.mark.parametrize(
    ("level", "side", "height", "at", "said"),
    [
        (
            "underbust",
            "side",
            20,
            "wearer.underbust.height_side_mm",
            "At the side, the underbust (2.0 cm) has to lie further out than the ribs (4.1 cm), by half a centimetre "
            "at least. The height of the ribs was not measured there: it is taken from the others.",
        ),
        (
            "high_hip",
            "front",
            300,
            "wearer.high_hip.height_front_mm",
            "At the front, the hip (20.0 cm) has to lie further out than the high hip (30.0 cm), by half a centimetre "
            "at least. The height of the hip was not measured there: it is taken from the others.",
        ),
    ],
)
def test_levels_that_cross_are_told_at_the_height_that_was_typed(level, side, height, at, said):
    build = edited(built("underbust corset"), **{f"wearer__{level}__height_{side}_mm": height})
    with pytest.raises(Unmakeable) as caught:
        check_rise(build.wearer, GARMENT_KINDS[build.kind].levels)
    assert caught.value.at == at
    assert Words("cm")(caught.value.message) == said
