"""How much a document may hold, and what its faults say."""

import json

import pytest
from hypothesis import given, settings
from pydantic import ValidationError

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.document.build import MOST_FAULTS, Build, read_build
from fuseau.document.limits import too_much
from fuseau.wording.faults import faults
from tests.any_builds import any_builds


@settings(max_examples=8)
@given(any_builds())
def test_what_is_valid_is_never_too_much(build):
    assert too_much(json.loads(build.model_dump_json()), Build) is None


@pytest.mark.parametrize(
    ("data", "at", "says"),
    [
        ({"versions": [{}] * 61}, "versions", "61 entries here; 60 are the most"),
        ({"fittings": [{"readings": [{}] * 200}]}, "fittings.0.readings", "200 entries"),
        ({"wearer": {"waist": {"readings_mm": [1] * 13}}}, "wearer.waist.readings_mm", "13 entries here; 12"),
        ({"brief": {"movement": ["sit"] * 401}}, "brief.movement", "401 entries here; 400"),
        ({"brief": {"pictures": [{"marks": [{}] * 61}]}}, "brief.pictures.0.marks", "61 entries here; 60"),
        ({f"k{i}": 1 for i in range(21)}, "", "does not know 21 of these fields, such as “k0”"),
        ({"bones": {"by_channel": {str(i): "flat_6" for i in range(81)}}}, "bones.by_channel", "81 entries here; 80"),
    ],
)
def test_too_much_is_one_fault_at_its_place(data, at, says):
    found = too_much(data, Build)
    assert (found.at, says in found.sentence) == (at, True), found


@pytest.mark.parametrize("data", [{}, {"versions": 3}, {"wearer": []}, {"brief": {"movement": {}}}, {"k": [[[1]]]}])
def test_what_is_wrong_in_kind_is_left_to_the_reading(data):
    assert too_much(data, Build) is None


@pytest.mark.parametrize(
    ("data", "at", "says"),
    [
        ({"kind": "cloak"}, "kind", "This has to be one of: "),
        ({"brief": {"name": 3}}, "brief.name", "This has to be text."),
        ({"brief": {"name": "a" * 121}}, "brief.name", "This has 121 characters; 120 are the most."),
        ({"brief": {"name": "a\x07"}}, "brief.name", "can't be printed"),
        ({"brief": {"needed_on": "soon"}}, "brief.needed_on", "Write the day as year-month-day"),
        ({"brief": {"alone": "perhaps"}}, "brief.alone", "This has to be yes or no."),
        ({"brief": []}, "brief", "This has to be a group of fields."),
        ({"versions": 3}, "versions", "This has to be a list."),
        ({"zones": {"waist": {"lean": 0.9}}}, "zones.waist.lean", "This is less than 0.5."),
        ({"wearer": {"waist": {"readings_mm": [1e300]}}}, "wearer.waist.readings_mm.0", "far more than this girth"),
        ({"wearer": {"waist": {"readings_mm": ["long"]}}}, "wearer.waist.readings_mm.0", "is not a length"),
        ({"colour": 1}, "colour", "Fuseau does not know this field."),
    ],
)
def test_every_fault_is_a_plain_sentence_at_its_field(data, at, says):
    with pytest.raises(ValidationError) as caught:
        read_build(data)
    first = faults(caught.value)[0]
    assert (first.at, says in first.sentence) == (at, True), first
    assert first.sentence.endswith(".")


def test_only_the_first_faults_are_told():
    with pytest.raises(ValidationError) as caught:
        read_build({f"k{i}": 1 for i in range(100)})
    assert len(faults(caught.value)) == MOST_FAULTS


def test_what_was_kept_before_is_cleaned_not_refused():
    kept = {"brief": {"name": "Tide\x00warden", "note": "one\r\ntwo\x07"}}
    build = read_build(kept, stored=True)
    assert (build.brief.name, build.brief.note) == ("Tide warden", "one\ntwo ")
    with pytest.raises(ValidationError):
        read_build(kept)


@pytest.mark.parametrize("day", ["0003-02-01", "0026-12-01", "1899-12-31", "2200-01-01"])
def test_a_day_of_another_millennium_is_told_at_its_field_and_what_was_kept_before_opens(day):
    build = read_build({"brief": {"needed_on": day}}, stored=True)
    assert str(build.brief.needed_on) == day
    with pytest.raises(ValidationError) as refused:
        change(Build(), [Change(at="brief.needed_on", value=day)], "cm")
    (fault,) = faults(refused.value)
    assert fault.at == "brief.needed_on"
    assert fault.sentence == f"The year {int(day[:4])} can't be right: write all four digits, 1900 to 2199."
