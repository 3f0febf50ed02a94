"""The slip for a fitting: one page, in her unit, and what it expects is what the app does."""

import io

import numpy as np
import pytest
from pypdf import PdfReader

from fuseau.craft.base.lengths import format_length
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document import fitting_fields
from fuseau.document.fitting_fields import FITTING_FIELDS
from fuseau.files.fitting_slip import fitting_pdf, gap_heights
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan


def said(pdf):
    pages = PdfReader(io.BytesIO(pdf)).pages
    assert len(pages) == 1
    return " ".join(pages[0].extract_text().split())


@pytest.mark.parametrize("kind", GARMENT_KINDS)
@pytest.mark.parametrize(("paper", "unit"), [("a4", "cm"), ("letter", "in")])
def test_every_kind_of_garment_has_a_slip_of_one_page_with_its_levels(kind, paper, unit):
    build = built(kind)
    planned = plan(build)
    text = said(fitting_pdf(build, planned, paper, unit))
    for level in planned.levels:
        assert (level.label in text) == (level.gap_mm is not None)
    for word in ("stands off", "light", "right", "firm", "digs", "sit", "out alone", "top CF", "Notes"):
        assert word in text
    assert ("hem CB" in text) == (planned.pattern.zero == "waist")
    assert "seam" in text


@pytest.mark.parametrize("unit", ["cm", "in"])
def test_it_expects_the_gap_that_the_mock_up_is_foreseen_to_have(unit):
    build = built("underbust corset")
    planned = plan(build)
    text = said(fitting_pdf(build, planned, "a4", unit))
    for z in gap_heights(planned):
        gap = float(np.interp(z, planned.mock_up.z_mm, planned.mock_up.gap_mm))
        assert f"{format_length(z, unit)} {format_length(gap, unit, hardware=True)}" in text
    assert "at a lighter pull" in text


def test_what_is_not_laced_behind_is_fitted_by_pins():
    build = edited(built("boned bodice"), back__laced=False)
    text = said(fitting_pdf(build, plan(build), "a4", "cm"))
    assert "pins" in text
    assert "lighter pull" not in text


def test_it_asks_all_that_the_form_asks_in_its_words_and_a_collar_for_its_gap_without_a_pull():
    build = built("neck corset")
    text = said(fitting_pdf(build, plan(build), "a4", "cm"))
    otherwise = ("pull", "finished", "taps", "pinches")  # tied; of a mock-up; drawn; in a table of its own
    for asked in FITTING_FIELDS:
        if asked.field in otherwise:
            continue
        cells = asked.cells.values()
        labels = [word.label for cell in cells for word in cell.words]
        labels += [word for cell in cells if cell.ways and not asked.keys for word in _ways(cell)]
        labels += [key.label for key in asked.keys if asked.part == "moves"]
        labels += [asked.label] if asked.field != "words" else []
        assert not [label for label in labels if label not in text], asked.field
    assert "height expected gap" in text
    assert "Pulled" not in text
    assert "Heights are from the neck base" in text


def _ways(cell):
    return cell.ways.even, cell.ways.above, cell.ways.below


def test_a_field_more_is_printed_with_the_others_of_its_part(monkeypatch):
    like = {asked.field: asked for asked in FITTING_FIELDS}
    more = (
        like["rides_mm"].model_copy(update={"field": "tilts_mm", "label": "Its hem swings"}),
        like["hours"].model_copy(update={"field": "walked", "label": "Minutes she walked"}),
    )
    monkeypatch.setattr(fitting_fields, "FITTING_FIELDS", (*FITTING_FIELDS, *more))
    build = built("underbust corset")
    text = said(fitting_pdf(build, plan(build), "a4", "cm"))
    for asked in more:
        assert asked.label in text


def test_a_name_in_many_scripts_stands_on_it():
    build = edited(built("underbust corset"), brief__name="Ζωή Ночь <b> שלום", wearer__name="Ålesund & Ğ")
    text = said(fitting_pdf(build, plan(build), "a4", "cm"))
    assert "Ζωή Ночь" in text
    assert "<b>" in text
    assert "Ålesund & Ğ" in text
