"""The shelf in the database: its history, two hands at once, backups, and the shelves that builds had of their own."""

import datetime
import json

import pytest
from sqlalchemy import text

from fuseau.commands.shelf import put, reserve, use_up
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.stock.cut_choices import CutDone, Used
from fuseau.store.backup import restore_beside, write_backup
from fuseau.store.opening import engine_on, migrate, open_database
from fuseau.store.shelf import ShelfStore
from fuseau.store.workshop import NothingToDo, Stale
from tests.kinds import built

HOLES = {"sort": "grommets", "name": "grommet_5", "label": "grommets", "count": 40}


@pytest.fixture
def path(tmp_path):
    return tmp_path / "fuseau.db"


def test_every_change_is_a_state_and_an_earlier_one_comes_back(path):
    store = ShelfStore(open_database(path))
    assert (store.open().shelf.pieces, store.open().undoes) == ((), None)
    one = store.edit(lambda shelf: put(shelf, [HOLES], "cm"), "one")
    two = store.edit(lambda shelf: put(shelf, [HOLES], "cm"), "two", one.revision)
    assert (len(two.shelf.pieces), two.undoes) == (2, "two")
    assert store.edit(lambda shelf: shelf, "nothing").revision == two.revision
    back = store.undo(two.revision)
    assert (len(back.shelf.pieces), back.undoes, back.redoes) == (1, "one", "two")
    assert len(ShelfStore(open_database(path)).redo().shelf.pieces) == 2
    with pytest.raises(NothingToDo):
        store.redo()
    store.undo()
    assert store.undo().shelf.pieces == ()
    with pytest.raises(NothingToDo):
        store.undo()


def test_what_was_cut_is_not_taken_back_here_but_by_whom_it_was_done_for(path):
    store = ShelfStore(open_database(path))
    store.edit(lambda shelf: put(shelf, [HOLES], "cm"), "stocked")
    piece = store.open().shelf.piece("s1")
    done = CutDone(on=datetime.date(2026, 11, 26), pieces=1, used=(Used(stock=piece),))
    cut = store.edit(lambda shelf: use_up(shelf, "b", "coutil", done), "Cut")
    with pytest.raises(Unmakeable):
        store.undo(cut.revision)
    assert store.open().shelf.pieces == ()
    assert store.take_back().shelf.pieces == (piece,)
    with pytest.raises(Unmakeable):
        store.redo()


def test_what_was_seen_before_a_change_elsewhere_is_not_written_over(path):
    store = ShelfStore(open_database(path))
    seen = store.open().revision
    store.edit(lambda shelf: put(shelf, [HOLES], "cm"), "by another hand")
    with pytest.raises(Stale) as told:
        store.edit(lambda shelf: put(shelf, [HOLES], "cm"), "by this one", seen)
    assert told.value.changed == ["by another hand"]
    assert len(store.open().shelf.pieces) == 1


def test_a_backup_brings_the_shelf_where_there_is_none_and_leaves_one_that_there_is(path, tmp_path):
    store = ShelfStore(open_database(path))
    store.edit(lambda shelf: reserve(put(shelf, [HOLES], "cm"), "b", "s1", 10), "stocked")
    backup = tmp_path / "a.fuseau-backup"
    write_backup(path, backup)
    empty = open_database(tmp_path / "empty" / "fuseau.db")
    restore_beside(backup, empty)
    assert ShelfStore(empty).open().shelf == store.open().shelf
    other = open_database(tmp_path / "other" / "fuseau.db")
    there = ShelfStore(other).edit(lambda shelf: put(shelf, [{**HOLES, "count": 3}], "cm"), "mine")
    restore_beside(backup, other)
    assert ShelfStore(other).open().shelf == there.shelf


def test_what_builds_had_set_aside_for_themselves_is_on_the_shelf_and_kept_for_them(path):
    engine = engine_on(path)
    migrate(engine, "0003")
    document = json.loads(built("underbust corset").model_dump_json())
    document |= {"version": 4}
    document["bones"]["shelf"] = [{"kind": "flat_12", "length_mm": 480.0, "count": 2}]
    with engine.begin() as connection:
        for name, kept in (("a", json.dumps(document)), ("b", "no JSON at all")):
            connection.execute(
                text(
                    "insert into build (id, name, created_at, head_id) values (:id, 'x', '2026-01-01 00:00:00', :head)"
                ),
                {"id": name, "head": 1 if name == "a" else 2},
            )
            connection.execute(
                text(
                    "insert into revision (build_id, label, made_at, document) "
                    "values (:id, 'made', '2026-01-01 00:00:00', :document)"
                ),
                {"id": name, "document": kept},
            )
    engine.dispose()
    shelf = ShelfStore(open_database(path)).open().shelf
    (piece,) = shelf.pieces
    assert (piece.name, piece.length_mm, piece.count) == ("flat_12", 480, 2)
    assert [(one.build, one.amount) for one in shelf.reserved] == [("a", 2)]
    assert shelf.numbered == 1
