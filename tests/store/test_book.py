"""The book of wearers and the album: kept apart from builds, across restarts."""

import datetime

import pytest

from fuseau.craft.wearer.measures import Level, Wearer
from fuseau.store.book import Book, NotInTheBook, Taken
from fuseau.store.opening import open_database
from fuseau.store.pictures import KeptPicture, Pictures

DAY = datetime.date(2026, 10, 1)


def wearer(name="Ottilie", waist=700.0):
    return Wearer(name=name, waist=Level(readings_mm=(waist,)))


@pytest.fixture
def path(tmp_path):
    return tmp_path / "fuseau.db"


def test_measurings_are_dated_and_the_newest_comes_first(path):
    book = Book(open_database(path))
    first = book.write_down(wearer(), DAY)
    second = book.write_down(wearer(waist=688.0), DAY + datetime.timedelta(days=40))
    older = book.write_down(wearer(waist=712.0), DAY - datetime.timedelta(days=40))
    assert {first.wearer_id, second.wearer_id, older.wearer_id} == {first.wearer_id}
    again = Book(open_database(path))
    (entry,) = again.wearers()
    assert [one.id for one in entry.measurings] == [second.id, first.id, older.id]
    assert again.newest(entry.id) == Taken(second.id, second.taken_on)
    assert again.measuring(first.id).wearer.waist.readings_mm == (700.0,)


def test_a_wearer_keeps_her_measurings_when_she_is_renamed(path):
    book = Book(open_database(path))
    first = book.write_down(wearer("Marit"), DAY)
    renamed = book.write_down(wearer("Marit the younger"), DAY, first.wearer_id)
    assert renamed.wearer_id == first.wearer_id
    assert [entry.name for entry in book.wearers()] == ["Marit the younger"]


def test_out_of_the_book_and_back(path):
    book = Book(open_database(path))
    made = book.write_down(wearer(), DAY)
    book.delete(made.wearer_id)
    assert book.wearers() == []
    assert book.newest(made.wearer_id) is None
    with pytest.raises(NotInTheBook):
        book.measuring(made.id)
    book.delete(made.wearer_id, deleted=False)
    assert book.measuring(made.id) == made
    with pytest.raises(NotInTheBook):
        book.delete("nobody")


def test_pictures_are_kept_once(path):
    album = Pictures(open_database(path))
    one = KeptPicture("a" * 64, "image/png", 3, 4, b"bytes")
    album.keep(one)
    album.keep(one)
    assert Pictures(open_database(path)).open("a" * 64) == one
    assert album.open("b" * 64) is None


def test_of_two_measurings_on_one_day_the_later_written_down_is_the_newest(path):
    book = Book(open_database(path))
    first = book.write_down(wearer(), DAY)
    second = book.write_down(wearer(waist=690.0), DAY)
    assert book.newest(first.wearer_id) == Taken(second.id, DAY)
    book.write_down(wearer("Marit"), DAY + datetime.timedelta(days=9))
    assert book.newest(first.wearer_id) == Taken(second.id, DAY)
    book.delete(first.wearer_id)
    assert book.newest(first.wearer_id) is None
    book.delete(first.wearer_id, deleted=False)
    assert book.newest(first.wearer_id).id == second.id
