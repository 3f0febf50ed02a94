"""Answers written field by field: the same JSON as at once, in her words, and anew only where something changed."""

import json
from concurrent.futures import ThreadPoolExecutor

import pytest

from fuseau.app.answers import JsonCache
from fuseau.planning.cache import StageCache
from fuseau.planning.plan import Plan
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import ALL_KINDS, built
from tests.plans import plan


@pytest.mark.parametrize("kind", ALL_KINDS)
def test_field_by_field_it_is_the_same_json_in_either_unit(kind):
    found = plan(built(kind))
    cache = JsonCache()
    for unit in ("cm", "in", "cm"):
        words = Words(unit)
        assert cache.write(found, words) == found.model_dump_json(context=words.context)


def test_after_an_edit_it_is_still_the_same_and_what_stood_is_not_written_again():
    build, kept, cache = built("longline corset"), StageCache(), JsonCache()
    before = plan(build, cache=kept)
    cache.write(before, Words("cm"))
    after = plan(edited(build, back__pitch_mm=23), cache=kept)
    assert after.bones is before.bones
    assert after.pattern is before.pattern
    text = cache.write(after, Words("cm"))
    assert text == after.model_dump_json(context=Words("cm").context)
    assert len(json.loads(text)["holes"]["z_mm"]) == len(after.holes.z_mm) != len(before.holes.z_mm)


def test_models_within_are_written_by_their_fields_too():
    found = plan(built("neck corset"))
    stop = Plan(findings=found.findings, body=found.body)
    cache = JsonCache()
    assert cache.write(stop, Words("in"), parted=("body",)) == stop.model_dump_json(context=Words("in").context)


def test_two_who_read_in_different_units_at_once_never_get_each_others_words():
    found = plan(built("longline corset"))
    cache = JsonCache()
    whole = {unit: found.model_dump_json(context=Words(unit).context) for unit in ("cm", "in")}
    with ThreadPoolExecutor(4) as pool:
        asked = ["cm", "in"] * 20
        answered = list(pool.map(lambda unit: cache.write(found, Words(unit)), asked))
    assert all(text == whole[unit] for unit, text in zip(asked, answered, strict=True))
