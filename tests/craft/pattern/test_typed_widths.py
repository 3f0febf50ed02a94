"""A pattern typed in by its widths (model, section 4: panels that come from outside)."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.commands.fittings import log_fitting
from fuseau.commands.patterns import type_in
from fuseau.commands.versions import accept
from fuseau.craft.base.practice import Practice
from fuseau.craft.pattern.pattern import Allowances
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.pattern.typed_widths import TypedPattern, check_typed, from_widths
from tests.conftest import TODAY
from tests.craft.pattern.test_pattern import BODY, HEM, TOP
from tests.planning.test_pipeline import READINGS
from tests.plans import plan
from tests.saying import refused, said

WIDTHS = {
    "underbust": (62.0, 70, 72, 54, 56, 46),
    "waist": (55.0, 56, 53, 43, 47, 45),
    "high_hip": (66.0, 76, 74, 66, 68, 58),
}


def typed(widths=WIDTHS, front=3):
    levels = [{"name": name, "widths_mm": row} for name, row in widths.items()]
    return TypedPattern.model_validate({"levels": levels, "front_panels": front})


def made(widths=WIDTHS, front=3):
    return from_widths(typed(widths, front), BODY, TOP, HEM, Allowances())


rows = st.lists(st.floats(40, 90), min_size=6, max_size=6)


@settings(max_examples=40)
@given(rows, rows, rows)
def test_the_pattern_has_just_the_widths_that_were_typed(underbust, waist, hip):
    pattern = made({"underbust": underbust, "waist": waist, "high_hip": hip})
    found = pattern.shape.widths(pattern.shape.nominal)
    by_level = {station.name: row for station, row in zip(pattern.stations, found, strict=True)}
    for name, row in (("underbust", underbust), ("waist", waist), ("high_hip", hip)):
        assert by_level[name] == pytest.approx(row, abs=0.1)
    assert len(by_level) == 5
    # CF and CB are straight
    assert np.ptp(pattern.shape.edges[:, 0]) == pytest.approx(0, abs=1e-9)
    assert np.ptp(pattern.shape.edges[:, -1]) == pytest.approx(0, abs=1e-6)


def test_typed_seams_are_trued_like_any():
    for seam in lay_flat(made(), Practice()).seams:
        assert seam.cf_side_mm == pytest.approx(seam.cb_side_mm, abs=0.5)


@pytest.mark.parametrize(
    ("widths", "front", "at", "says"),
    [
        ({**WIDTHS, "waist": WIDTHS["waist"][:5]}, 3, "typed.levels.1", "has 5 widths where the first level has 6"),
        (
            {name: WIDTHS.get(name, WIDTHS["waist"]) for name in ("underbust", "ribs", "hip")},
            3,
            "typed.levels",
            "waist",
        ),
        (WIDTHS, 6, "typed.front_panels", "behind the side seam"),
    ],
)
def test_what_cannot_be_is_told_where_it_is(widths, front, at, says):
    with refused(says) as caught:
        made(widths, front)
    assert caught.value.at == at


def test_allowances_typed_in_are_suspected():
    wide = {name: tuple(width + 30 for width in row) for name, row in WIDTHS.items()}
    found = check_typed(made(wide), BODY)
    assert found
    assert all("seam allowances typed in" in said(finding.sentence) for finding in found)
    narrow = {name: tuple(width * 0.6 for width in row) for name, row in WIDTHS.items()}
    assert "forgotten" in said(check_typed(made(narrow), BODY)[0].sentence)
    assert check_typed(made(), BODY) == []


def test_a_typed_pattern_is_tried_on_and_altered_like_a_drafted_one(measured):
    written = {
        "levels": [{"name": name, "widths_mm": [f"{mm / 10} cm" for mm in row]} for name, row in WIDTHS.items()],
        "front_panels": 3,
    }
    build = type_in(measured, plan(measured), written, TODAY, "cm")
    found = plan(build)
    waist = next(level for level in found.levels if level.name == "waist")
    assert waist.closed_mm == pytest.approx(2 * sum(WIDTHS["waist"]), abs=0.2)
    assert found.proposal is not None
    assert not found.proposal.redraft
    tried = log_fitting(build, found, {"pull": "close", "readings": READINGS}, TODAY, "cm")
    second = accept(tried, plan(tried), TODAY)
    assert abs(plan(second).gap_shape.tilt_mm) < 1
    assert plan(second).gap_shape.mean_mm == pytest.approx(50, abs=1)


@pytest.mark.parametrize(
    ("change", "at", "says"),
    [
        ({"widths_mm": ["5.5", "x", "5", "5", "5", "5"]}, "typed.levels.1.widths_mm.1", "not a length"),
        ({"widths_mm": ["5.5", "0.4", "5", "5", "5", "5"]}, "typed.levels.1.widths_mm.1", "0.4 cm can't be right"),
        ({"widths_mm": ["5.5", "", "5", "5", "5", "5"]}, "typed.levels.1.widths_mm.1", "Write a length"),
    ],
)
def test_bad_widths_are_told_at_their_panel(measured, change, at, says):
    levels = [{"name": name, "widths_mm": [f"{mm / 10}" for mm in row]} for name, row in WIDTHS.items()]
    levels[1].update(change)
    with refused(says) as caught:
        type_in(measured, plan(measured), {"levels": levels, "front_panels": 3}, TODAY, "cm")
    assert caught.value.at == at
