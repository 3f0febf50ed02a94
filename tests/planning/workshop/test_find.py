"""Finding by words: what is told first, and what is not found."""

from hypothesis import given
from hypothesis import strategies as st

from fuseau.planning.workshop.find import MOST_FOUND, Place, find_places

PLACES = [
    Place(kind="shelf", name="coutil, white", about="cloth, top drawer", id="s1"),
    Place(kind="build", name="Lamplighter Regent", about="longline corset, for Ottilie", id="b1", more="brass lamps"),
    Place(kind="card", name="Saltmarsh warden", about="underbust corset, for Ottilie", id="b2"),
    Place(kind="wearer", name="Ottilie", about="in the book", id="w1"),
]


def names(words):
    return [one.name for one in find_places(PLACES, words)]


def test_every_word_has_to_begin_one_there_and_names_come_first():
    assert names("ottil") == ["Ottilie", "Lamplighter Regent", "Saltmarsh warden"]
    assert names("corset ottilie") == ["Lamplighter Regent", "Saltmarsh warden"]
    assert names("COUTIL drawer") == ["coutil, white"]
    assert names("brass") == ["Lamplighter Regent"]
    assert find_places(PLACES, "brass")[0].more == ""
    assert names("outil") == []  # words are found from their beginning
    assert names("regent warden") == []
    assert names("   ") == []


@given(st.text(max_size=30))
def test_any_words_find_only_what_has_them_and_never_too_many(words):
    found = find_places(PLACES * 20, words)
    assert len(found) <= MOST_FOUND
    assert all(one in [place.model_copy(update={"more": ""}) for place in PLACES] for one in found)
