"""What is asked of a fitting: every field of the record, in the shape of the record, and what it tells of the fit."""

from typing import get_args

import pytest
from pydantic import BaseModel

from fuseau.document.fitting_fields import BY_ITSELF, FITTING_FIELDS, NOT_ASKED, tells_of_fit
from fuseau.document.fittings import Fitting

ASKED = {asked.field: asked for asked in FITTING_FIELDS}
SAID = {
    "words": [{"level": "waist", "word": "right"}],
    "stand_offs": [{"level": "waist", "off_mm": 8}],
    "laced": [{"level": "waist", "girth_mm": 700}],
    "under_it": [{"level": "waist", "girth_mm": 690}],
    "taps": [{"view": "back", "z_mm": 0, "word": "digs"}],
    "pinches": [{"seam": 1, "from_mm": -20, "to_mm": 20, "amount_mm": 4}],
    "edges": [{"edge": "top", "place": "CF", "off_mm": 6}],
    "rides_mm": 0,
    "swings_mm": -4,
    "moved": [{"test": "sit", "went": "well"}],
}
TELLS_NOTHING = {"pull": "firm", "finished": True, "under": "a shift", "note": "late", "hours": 3, "cost": 12}


def test_each_field_of_a_fitting_is_asked_or_is_known_to_be_asked_otherwise():
    assert set(ASKED) | NOT_ASKED | BY_ITSELF == set(Fitting.model_fields)
    assert not set(ASKED) & (NOT_ASKED | BY_ITSELF)


@pytest.mark.parametrize("field", ASKED)
def test_it_has_the_shape_of_the_record(field):
    asked, kind = ASKED[field], Fitting.model_fields[field].annotation
    entry = next((one for one in get_args(kind) if isinstance(one, type) and issubclass(one, BaseModel)), None)
    assert asked.listed == (entry is not None)
    if entry:
        named = {name for key in asked.keys for name in key.of}
        assert set(asked.cells) | named == set(entry.model_fields)
        for key in asked.keys:
            for name, value in key.of.items():
                assert value in get_args(entry.model_fields[name].annotation)
    for name, cell in asked.cells.items():
        of = (entry or Fitting).model_fields[name or field]
        if cell.words:
            assert {word.name for word in cell.words} == set(get_args(of.annotation))


@pytest.mark.parametrize("field", ASKED)
def test_it_teaches_what_it_says_that_it_teaches(field):
    assert (field in SAID) == ASKED[field].teaches
    told = {**SAID, **TELLS_NOTHING}[field]
    blank = Fitting(number=1, version=1)
    assert not tells_of_fit(blank)
    assert tells_of_fit(Fitting.model_validate({"number": 1, "version": 1, field: told})) == ASKED[field].teaches
