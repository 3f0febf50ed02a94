"""The box of cards: what is found by which words, and what worn garments teach of their cloth."""

import datetime

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fuseau.commands.make import do, log
from fuseau.planning.stages.make import known_rates
from fuseau.planning.workshop.card_box import Filed, SaidCard, as_kept, file, find, plain, rates_of, taught_of_cloth
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)


def worn(name, kind="underbust corset", gaps=(), on="2026-10-01", **fields):
    wears = [{"on": f"2026-10-{i + 2:02}", "gap_mm": gap} for i, gap in enumerate(gaps)]
    return edited(built(kind), brief__name=name, record__finished_on=on, record__wears=wears, **fields)


def filed(build):
    return file(build, plan(build))


BOX = [
    filed(
        worn(
            "Écru heron",
            record__would_change=["a softer bone beside the busk"],
            record__likes=["the hem"],
            brief__character="Ferry captain",
        )
    ),
    filed(worn("Slate heron", "cincher", on="2026-11-01", record__likes=["quick to lace"])),
    file(built("underbust corset"), None),
]
CARDS = [(str(i), SaidCard(one, "cm")) for i, one in enumerate(BOX) if one.card]


def names(words, kind=""):
    return [one.name for _, one in find(CARDS, words, kind)[0]]


def test_cards_are_found_by_every_word_the_newest_first():
    assert names("") == ["Slate heron", "Écru heron"]
    assert names("heron ECRU") == ["Écru heron"]
    assert names("heron", "cincher") == ["Slate heron"]
    assert names("ferry slate") == []
    ((_, found), *_), count = find(CARDS, "softer")
    assert count == 1
    assert found.hits == ("would change: a softer bone beside the busk",)
    assert [fact.name for fact in found.facts] == ["closed waist", "reduction", "panels"]
    assert find(CARDS, "heron")[0][0][1].hits == ()
    assert [len(found) for found in (find(CARDS, "heron", most=1)[0], find(CARDS, "", most=0)[0])] == [1, 0]
    assert find(CARDS, "heron", most=1)[1] == 2
    assert [one.name for _, one in find(CARDS, "october 2026")[0]] == ["Écru heron"]


@settings(max_examples=60)
@given(st.data())
def test_a_card_is_found_by_any_words_that_stand_on_it(data):
    key, card = data.draw(st.sampled_from(CARDS))
    words = plain(" ".join(card.lines)).split()
    asked = data.draw(st.lists(st.sampled_from(words), min_size=1, max_size=4))
    assert key in [one for one, _ in find(CARDS, " ".join(asked))[0]]


def test_what_is_kept_says_the_same_when_it_is_read_again():
    kept = BOX[0]
    again = Filed.model_validate_json(as_kept(kept))
    assert again == kept
    assert SaidCard(again, "in").lines == SaidCard(kept, "in").lines
    assert any("in" in line for line in SaidCard(kept, "in").lines if line.startswith("closed waist"))


def test_her_rates_are_the_same_from_the_box():
    build = built("underbust corset")
    planned = plan(build)
    build = do(build, planned, "join 1-2", TODAY, "cm", also=True, anyhow=True)
    build = log(build, planned, {"step": "join 1-2", "minutes": 70}, TODAY, "cm")
    assert rates_of([file(build, None)]) == known_rates([build])
    assert rates_of([file(build, None)]) != rates_of([])


def taught(build, *others):
    return taught_of_cloth(build, plan(build), [filed(one) for one in others])


def test_a_cloth_that_gave_with_wear_asks_for_a_wider_gap_and_taking_it_ends_the_asking():
    old = worn("Slate heron", gaps=(52, 44, 40))
    new = edited(built("underbust corset"), target__reduction_percent=6)
    (said,) = taught(new, old)
    closes = 12 * plan(new).aim.closed_waist_mm / plan(old).aim.closed_waist_mm
    assert said.numbers["closes_mm"] == pytest.approx(closes)
    assert said.numbers["leaves_mm"] == pytest.approx(50 - closes)
    assert Words("cm")(said.sentence).startswith("Coutil gave with wear in Slate heron: here the gap would close by")
    (change,) = said.mend.changes
    (after,) = taught(edited(new, **{change.at.replace(".", "__"): change.value}), old)
    assert after.mend is None
    assert after.numbers["leaves_mm"] >= 48


def test_what_did_not_give_or_is_of_another_cloth_teaches_nothing():
    new = built("underbust corset")
    assert taught(new) == ()
    assert taught(new, worn("steady", gaps=(50, 47)), worn("once", gaps=(50,)), worn("opens", gaps=(40, 55))) == ()
    closed = worn("Slate heron", gaps=(52, 40))
    assert taught(edited(new, front__opening="lacing", back__laced=False), closed) == ()
    assert taught(edited(new, record__finished_on="2026-11-20"), closed) == ()
    plies = [
        {**ply.model_dump(mode="json"), **({"cloth": "canvas"} if ply.role == "strength" else {})}
        for ply in new.layers.plies
    ]
    assert taught(edited(new, layers__plies=plies), closed) == ()


def test_a_gap_that_she_chose_is_never_proposed_away():
    old = worn("Slate heron", gaps=(52, 40))
    for gap in (30, 45, 62):
        (said,) = taught(edited(built("underbust corset"), target__gap_mm=gap), old)
        assert said.mend is None
        assert said.numbers["gap_mm"] == gap
