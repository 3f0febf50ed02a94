"""Garments of hers that fit, as evidence of her body (model, section 6)."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import ValidationError

from fuseau.commands.fields import change
from fuseau.craft.base.findings import Change
from fuseau.craft.fitting.seen import WORDS, Worn, of_worn
from fuseau.craft.fitting.unknowns import Unknowns
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.wording.faults import faults
from tests.kinds import built
from tests.plans import plan


def wearing(kind="underbust corset", **levels):
    told = [{"level": level, "girth_mm": float(girth), "word": word} for level, (girth, word) in levels.items()]
    return built(kind, garments=[{"name": "the green one", "levels": told}])


def believed(build, level):
    return plan(build).body[level]


def test_a_garment_that_sits_as_its_girth_foretells_only_narrows_what_is_believed():
    plain = believed(built("underbust corset"), "waist")
    known = believed(wearing(waist=(645, "right")), "waist")
    assert known.girth_mm == pytest.approx(plain.girth_mm, abs=1.5)
    assert known.spread_mm < plain.spread_mm


def test_one_that_sits_right_and_is_wider_than_she_was_taped_makes_her_bigger_there():
    plain, after = built("underbust corset"), wearing(waist=(720, "right"), underbust=(790, "firm"))
    for level in ("waist", "underbust"):
        assert believed(after, level).girth_mm > believed(plain, level).girth_mm + 4
    assert plan(after).aim.closed_waist_mm > plan(plain).aim.closed_waist_mm + 3


def test_one_that_sits_right_though_it_is_narrow_makes_her_softer():
    plain, after = believed(built("underbust corset"), "waist"), believed(wearing(waist=(622, "right")), "waist")
    assert after.give > 1.08 * plain.give


def test_where_it_stands_off_she_may_be_as_slim_as_she_was_taped():
    plain = believed(built("underbust corset"), "waist")
    after = believed(wearing(waist=(760, "stands off")), "waist")
    assert after.girth_mm == pytest.approx(plain.girth_mm, abs=1)


def test_levels_of_it_that_the_garment_does_not_have_say_nothing_and_bad_ones_are_told_at_their_field():
    assert plan(wearing(neck_base=(380, "right"))).body == plan(built("underbust corset")).body
    twice = [{"level": "waist", "girth_mm": 640.0}, {"level": "waist", "girth_mm": 650.0}]
    with pytest.raises(ValidationError) as caught:
        built("underbust corset", garments=[{"levels": twice}])
    assert faults(caught.value)[0].at == "garments.0.levels.1.level"
    kept = wearing(waist=(640, "right"))
    with pytest.raises(ValidationError) as caught:
        change(kept, [Change(at="garments.0.levels.0.girth_mm", value="8 cm")], "cm")
    assert faults(caught.value)[0].at == "garments.0.levels.0.girth_mm"
    assert change(kept, [Change(at="garments", value=[])], "cm").garments == ()


@settings(max_examples=30)
@given(st.floats(600, 690), st.sampled_from(sorted(WORDS)))
def test_what_it_tells_changes_as_its_derivatives_say(girth, word):
    planned = plan(built("underbust corset"))
    body, practice = planned.body, built("underbust corset").practice
    unknowns = Unknowns.of(body, practice, (CLOTHS["coutil"],), (), ())
    i = body.index_of_zero
    one = Worn("waist", girth, 1e-6, *WORDS[word])
    at = unknowns.mean.copy()
    off, by = of_worn(one, at, unknowns, i, body.levels[i].comfort_kpa)
    for k in (unknowns.girths.start + i, unknowns.gives.start + i, unknowns.comfort, *range(*_ends(unknowns.flesh))):
        step = 1e-4
        moved = at.copy()
        moved[k] += step
        ahead, _ = of_worn(one, moved, unknowns, i, body.levels[i].comfort_kpa)
        # its spread follows the slope there, which is held while a step is taken
        assert (ahead[0] - off[0]) / step == pytest.approx(by[0, k], rel=0.05, abs=0.05), k
    assert np.isfinite(off).all()


def _ends(part):
    return part.start, part.stop
