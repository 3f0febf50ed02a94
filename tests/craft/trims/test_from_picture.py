"""Trim lines drawn on pictures of known proportions come to lie where they were drawn from."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.trims.choices import TrimLine
from fuseau.craft.trims.from_picture import spots_on
from fuseau.craft.trims.lines import run_line
from fuseau.planning.pictures.trim_marks import trim_marks
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

BUILD = built("underbust corset")
PLAN = plan(BUILD)
PANELS, FRONT = PLAN.pattern.panels, PLAN.pattern.front_panels
TOP, HEM = [(0.3, 0.3), (0.7, 0.3)], [(0.28, 0.6), (0.72, 0.6)]


def spots(*mark, closure=()):
    return spots_on(mark, TOP, HEM, closure, PANELS, FRONT)


def test_a_line_round_the_front_runs_from_cf_to_the_side():
    found = spots((0.5, 0.45), (0.71, 0.45))
    assert (found[0].panel, found[-1].panel) == (1, FRONT)
    run = run_line(TrimLine(on="drawn", spots=found), PANELS, {}, "t")
    assert len(run.crossings) == FRONT - 1


def test_a_line_down_cf_stays_at_cf():
    found = spots((0.5, 0.32), (0.5, 0.58))
    assert {one.panel for one in found} == {1}
    cf = [x for x, _ in PANELS[0].cf_edge]
    assert all(one.x_mm == pytest.approx(cf[0], abs=2) for one in found)
    assert found[0].z_mm > 50 > -50 > found[-1].z_mm


@given(st.floats(0.02, 0.95), st.floats(0.05, 0.95))
def test_what_lies_further_out_or_down_on_the_picture_does_so_on_the_garment(across, down):
    y = 0.3 + 0.3 * down
    edge = 0.2 + 0.02 * down
    (first, *_), (second, *_) = (
        spots((0.5 + edge * share, y), (0.5 + edge * share, y + 0.001)) for share in (across, min(1.0, across + 0.05))
    )
    place = [(one.panel, one.x_mm) for one in (first, second)]
    assert place[0] <= place[1]
    lower, *_ = spots((0.5 + edge * across, y + 0.01), (0.5 + edge * across, y + 0.011))
    assert lower.z_mm < first.z_mm


def test_both_sides_of_a_picture_are_mirrored():
    right, left = spots((0.52, 0.4), (0.66, 0.5)), spots((0.48, 0.4), (0.34, 0.5))
    for one, other in zip(right, left, strict=True):
        assert (one.panel, one.z_mm) == (other.panel, pytest.approx(other.z_mm, abs=0.2))
        assert math.isclose(one.x_mm, other.x_mm, abs_tol=0.2)


def test_what_lies_beside_the_garment_is_told():
    with pytest.raises(Unmakeable):
        spots((0.8, 0.4), (0.95, 0.5))


def marked(*marks):
    picture = {"id": "a" * 64, "name": "act two", "width_px": 640, "height_px": 900, "marks": list(marks)}
    return edited(BUILD, brief__pictures=[picture])


def test_marks_of_the_brief_become_lines_or_say_why_not():
    trim = {"kind": "trim", "points": [[0.5, 0.5], [0.6, 0.55]]}
    (alone,) = trim_marks(marked(trim), PLAN)
    assert alone.fault.code == "trim.no_edges"
    edges = [
        {"kind": "top line", "points": [[0.3, 0.4], [0.7, 0.4]]},
        {"kind": "hem", "points": [[0.3, 0.7], [0.7, 0.7]]},
    ]
    (found,) = trim_marks(marked(*edges, trim), PLAN)
    assert (found.fault, found.picture_name, found.number) == (None, "act two", 1)
    line = {"on": "drawn", "spots": [one.model_dump() for one in found.spots]}
    planned = plan(edited(BUILD, trims__along=[{"key": "t1", "name": "as drawn", "line": line}]))
    assert planned.trims.along[0].fault is None
    assert trim_marks(marked(), PLAN) == ()
