"""Lengths as people write them (model, section 1)."""

from typing import Annotated

import pytest
from hypothesis import given
from hypothesis import strategies as st
from pydantic import TypeAdapter

from fuseau.craft.base.lengths import Length, LengthError, format_length, parse_length
from tests.saying import unread


@pytest.mark.parametrize(
    ("written", "unit", "mm"),
    [
        ("24 1/2", "in", 622.3),
        ('24 1/2"', "cm", 622.3),
        ("24-1/2 in", "cm", 622.3),
        ("24.5 in", "cm", 622.3),
        ("62 cm", "in", 620),
        ("620mm", "in", 620),
        ("5/8", "in", 15.875),
        ("1' 2\"", "cm", 355.6),
        ("1 ft 2", "cm", 355.6),
        ("½", "in", 12.7),
        ("24½", "in", 622.3),
        ("24 ½ ″", "cm", 622.3),
        ("62,5", "cm", 625),
        (".5", "in", 12.7),
        ("0", "cm", 0),
    ],
)
def test_reads_what_people_write(written, unit, mm):
    assert parse_length(written, unit) == pytest.approx(mm)


@pytest.mark.parametrize(
    ("written", "says"),
    [
        ("", "Write a length"),
        ("-3", "below zero"),
        ("62 cm 3 in", "two units, cm and in"),
        ("sixty", "not a unit|not a length"),
        ("62 furlongs", "not a unit"),
        ("62 63", "more than one length"),
        ("1/0", "divides by zero"),
    ],
)
def test_refuses_in_plain_words(written, says):
    with pytest.raises(LengthError, match=says):
        parse_length(written, "cm")


def test_signed_lengths_keep_their_sign():
    assert parse_length("−12", "cm", signed=True) == -120
    assert format_length(-120) == "−12.0 cm"


@given(
    mm=st.floats(0, 3000),
    unit=st.sampled_from(["cm", "in"]),
    hardware=st.booleans(),
)
def test_reading_back_what_is_shown_shows_the_same(mm, unit, hardware):
    shown = format_length(mm, unit, hardware=hardware)
    assert format_length(parse_length(shown, unit), unit, hardware=hardware) == shown


@given(mm=st.floats(0, 3000))
def test_shown_value_is_as_near_as_its_step(mm):
    assert abs(parse_length(format_length(mm, "cm")) - mm) <= 0.5001
    assert abs(parse_length(format_length(mm, "in")) - mm) <= 25.4 / 16 + 1e-6
    assert abs(parse_length(format_length(mm, "in", hardware=True)) - mm) <= 25.4 / 32 + 1e-6


def test_inches_are_proper_fractions():
    assert format_length(25.4 * 24.5, "in") == "24 1/2 in"
    assert format_length(25.4 * 0.375, "in") == "3/8 in"
    assert format_length(25.4 * 3, "in", bare=True) == "3"


def test_a_field_says_its_range_in_the_makers_unit():
    waist = TypeAdapter(Annotated[float, Length("a waist", 400, 2000)])
    assert waist.validate_python("24 1/2", context={"unit": "in"}) == pytest.approx(622.3)
    with unread(r"7\.0 cm can't be right for a waist: 40\.0 to 200\.0 cm\."):
        waist.validate_python("7", context={"unit": "cm"})
    with unread("is a length in mm"):
        waist.validate_python(float("nan"))
