"""Copies and backups: everything comes back, beside what is there or in its place, and nothing else is touched."""

import datetime
import hashlib
import itertools
import os
import shutil
import sqlite3
import threading
from contextlib import closing

import pytest
from sqlmodel import Session, select
from typer.testing import CliRunner

from fuseau.cli import main
from fuseau.commands.shelf import put
from fuseau.store.backup import look_into, replace_with, restore_beside, write_backup
from fuseau.store.book import Book
from fuseau.store.copies import copies_of, keep_daily_copy, newest_good_copy, recover
from fuseau.store.opening import (
    HEAD,
    DamagedDatabase,
    UnusableDatabase,
    clear_parts,
    connect,
    engine_on,
    keep_private,
    look_at,
    migrate,
    open_database,
)
from fuseau.store.pictures import KeptPicture, Pictures
from fuseau.store.shelf import ShelfStore
from fuseau.store.tables import RevisionRow
from fuseau.store.workshop import NoSuchBuild, Stale, Workshop
from tests.conftest import TODAY, edited

HOLES = {"sort": "grommets", "name": "grommet_5", "label": "grommets", "count": 40}
PICTURE = b"\xff\xd8 a small picture"
PICTURE_ID = hashlib.sha256(PICTURE).hexdigest()


@pytest.fixture
def path(tmp_path):
    return tmp_path / "workshop" / "fuseau.db"


@pytest.fixture
def filled(path, measured):
    """A workshop with two builds of several changes each, a wearer, a picture and a setting."""
    engine = open_database(path)
    workshop = Workshop(engine)
    for name in ("Tidewarden", "Saltmarsh"):
        made = workshop.make(edited(measured, brief__name=name), "made")
        for gap in (40, 45, 55):
            made = workshop.edit(made.id, made.revision, edited(made.build, target__gap_mm=gap), f"Gap {gap}")
    workshop.undo(made.id, made.revision)
    Book(engine).write_down(measured.wearer.model_copy(update={"name": "Ines"}), TODAY)
    Pictures(engine).keep(KeptPicture(PICTURE_ID, "image/jpeg", 8, 8, PICTURE))
    workshop.set("house", '{"unit": "in"}')
    return workshop


def everything(workshop):
    """All builds as they stand, with their histories; without the numbers that a database gives."""
    found = {}
    for opened in workshop.builds():
        history = workshop.history(opened.id)
        order = {entry.revision: k for k, entry in enumerate(reversed(history))}
        lines = [(order[one.revision], order.get(one.parent), one.label, one.made_at, one.present) for one in history]
        with Session(workshop._engine) as session:
            rows = session.exec(select(RevisionRow).where(RevisionRow.build_id == opened.id)).all()
        found[opened.id] = opened.build, opened.undoes, opened.redoes, lines, sorted(row.document for row in rows)
    return found


def test_a_backup_brings_everything_back_into_an_empty_folder(path, filled, tmp_path):
    backup = tmp_path / "all.fuseau-backup"
    contents = write_backup(path, backup)
    assert (contents.builds, contents.changes, contents.wearers, contents.pictures) == (2, 8, 1, 1)
    other = tmp_path / "other" / "fuseau.db"
    other.parent.mkdir()
    assert replace_with(backup, other) is None
    engine = open_database(other)
    again = Workshop(engine)
    assert everything(again) == everything(filled)
    assert again.setting("house", "") == '{"unit": "in"}'
    assert Book(engine).wearers() == Book(filled._engine).wearers()
    assert Pictures(engine).open(PICTURE_ID).content == PICTURE


def test_beside_what_is_there_nothing_is_touched_and_nothing_comes_twice(path, filled, tmp_path, measured):
    backup = tmp_path / "all.fuseau-backup"
    write_backup(path, backup)
    one, other = filled.builds()
    filled.edit(one.id, one.revision, edited(one.build, target__gap_mm=33), "Gap 33")
    filled.delete(other.id)
    own = filled.make(edited(measured, brief__name="Since then"), "made")
    before = {key: value for key, value in everything(filled).items() if key in (one.id, own.id)}

    seen = look_into(backup, filled._engine)
    assert seen.new_builds == (other.build.brief.name,)
    assert seen.changed_builds == ()
    came = restore_beside(backup, filled._engine)
    assert (came.builds, came.beside, came.here_already) == (1, 0, 1)
    after = everything(filled)
    assert {key: after[key] for key in before} == before
    (fresh,) = [value for key, value in after.items() if key not in before]
    assert fresh[0] == other.build
    assert len(fresh[3]) == 4
    assert restore_beside(backup, filled._engine).here_already == 2, "a second time nothing is new"


def test_a_build_in_another_state_comes_in_as_one_of_its_own(path, filled, tmp_path):
    one = filled.builds()[0]
    later = filled.edit(one.id, one.revision, edited(one.build, target__gap_mm=33), "Gap 33")
    backup = tmp_path / "all.fuseau-backup"
    write_backup(path, backup)
    with sqlite3.connect(path) as connection:  # the change is not in this workshop: it went its own way from there
        connection.execute("update build set head_id = ? where id = ?", (one.revision, one.id))
        connection.execute("delete from revision where id = ?", (later.revision,))
    assert look_into(backup, filled._engine).changed_builds == (one.build.brief.name,)
    assert restore_beside(backup, filled._engine).beside == 1
    names = {opened.build.brief.name: opened for opened in filled.builds()}
    beside = names[f"{one.build.brief.name}, from the backup"]
    assert beside.build.target.gap_mm == 33
    assert names[one.build.brief.name].build == one.build


def test_in_the_place_of_an_open_workshop_what_was_there_is_copied_first(path, filled, tmp_path, measured):
    backup = tmp_path / "all.fuseau-backup"
    write_backup(path, backup)
    was = everything(filled)
    filled.make(edited(measured, brief__name="Since then"), "made")
    aside = replace_with(backup, path)
    assert everything(Workshop(filled._engine)) == was
    assert {one.build.brief.name for one in Workshop(open_database(aside)).builds()} >= {"Since then"}


def test_an_older_backup_is_brought_up_and_stays_as_it_was(path, filled, tmp_path, measured):
    old = tmp_path / "old.fuseau-backup"
    engine = engine_on(old)
    migrate(engine, "0001")
    with engine.begin() as connection:
        connection.exec_driver_sql(
            "insert into build (id, name, created_at, head_id) values ('a', 'x', '2025-01-01', 1)"
        )
        connection.exec_driver_sql(
            "insert into revision (build_id, label, made_at, document) values ('a', 'made', '2025-01-01 00:00:00', ?)",
            (measured.model_dump_json(),),
        )
    engine.dispose()
    assert restore_beside(old, filled._engine).builds == 1
    assert filled.open("a").build == measured
    assert look_at(old) == "0001"
    assert replace_with(old, path).name == "fuseau.db.before-restore"
    assert look_at(path) == HEAD


@pytest.mark.parametrize("content", [b"", b"not a database", b"SQLite format 3\x00" + bytes(5000)])
def test_what_is_no_backup_is_told_and_changes_nothing(path, filled, tmp_path, content):
    bad = tmp_path / "bad.fuseau-backup"
    bad.write_bytes(content)
    was = everything(filled)
    for bring_in in (look_into, lambda one: restore_beside(one, filled._engine), lambda one: replace_with(one, path)):
        with pytest.raises(UnusableDatabase):
            bring_in(bad)
    assert everything(filled) == was


# --- daily copies


def test_one_copy_a_day_and_the_last_seven_stay(path, filled):
    for day in range(1, 11):
        today = datetime.date(2026, 11, day)
        assert keep_daily_copy(path, today).name == f"fuseau-2026-11-{day:02}.db"
        assert keep_daily_copy(path, today) is None
    assert sorted(copy.path.name for copy in copies_of(path)) == [f"fuseau-2026-11-{day:02}.db" for day in range(4, 11)]


def test_a_damaged_database_goes_on_from_the_newest_copy_that_is_good(path, filled):
    was = everything(filled)
    keep_daily_copy(path, datetime.date(2026, 11, 1))
    newest = keep_daily_copy(path, datetime.date(2026, 11, 2))
    filled._engine.dispose()
    newest.write_bytes(newest.read_bytes()[:5000])
    os.utime(newest)
    path.write_bytes(b"SQLite format 3\x00" + os.urandom(9000))
    with pytest.raises(DamagedDatabase):
        open_database(path)
    assert newest_good_copy(path).path.name == "fuseau-2026-11-01.db"
    copy, aside = recover(path)
    assert copy.path.name == "fuseau-2026-11-01.db"
    assert aside.name == "fuseau.db.damaged"
    assert everything(Workshop(open_database(path))) == was


def test_without_a_good_copy_it_says_so(path, filled):
    filled._engine.dispose()
    with pytest.raises(UnusableDatabase, match="no good copy"):
        recover(path)


# --- the command line


def fuseau(*words):
    """What the command line says, and the number it ends with."""
    return CliRunner().invoke(main, list(map(str, words)))


def test_backup_restore_and_recover_at_the_command_line(path, filled, tmp_path):
    was, folder = everything(filled), path.parent
    keep_daily_copy(path, TODAY)
    said = fuseau("backup", tmp_path / "all", "--data", folder)
    assert said.exit_code == 0, said.stderr
    assert "2 builds with 8 changes, 1 wearers, 1 pictures" in said.stdout
    assert fuseau("backup", tmp_path / "all", "--data", folder).stderr.strip().endswith("write over it with --over.")

    filled._engine.dispose()
    path.write_bytes(b"damaged")
    said = fuseau("serve", "--data", folder, "--port", 1)
    assert (said.exit_code, "fuseau recover --data" in said.stderr, said.stdout) == (1, True, "")
    said = fuseau("recover", "--data", folder)
    assert said.exit_code == 0, said.stderr
    assert "fuseau.db.damaged" in said.stdout
    assert everything(Workshop(open_database(path))) == was
    assert fuseau("recover", "--data", folder).exit_code == 1

    shutil.rmtree(folder)
    said = fuseau("restore", tmp_path / "all.fuseau-backup", "--data", folder)
    assert said.exit_code == 0, said.stderr
    assert said.stdout.startswith("2 builds came in")
    again = everything(Workshop(open_database(path)))
    assert {key: value[0] for key, value in again.items()} == {key: value[0] for key, value in was.items()}


def test_who_writes_while_a_backup_takes_its_place_is_in_the_copy_or_refused(path, filled, tmp_path, measured):
    write_backup(path, tmp_path / "old.fuseau-backup")
    answered, refused, ended = [], [], threading.Event()

    def write(who):
        for k in itertools.count():
            if ended.is_set():
                return
            lines = filled.listed()
            line = lines[k % len(lines)]
            try:
                opened = filled.open(line.id)
                filled.edit(line.id, opened.revision, edited(opened.build, target__gap_mm=40 + k % 9), f"{who} {k}")
                answered.append(f"{who} {k}")
            except (Stale, NoSuchBuild) as error:
                refused.append(error)

    writers = [threading.Thread(target=write, args=(who,)) for who in ("Ada", "Berta", "Cosima")]
    for writer in writers:
        writer.start()
    asides = []
    for before in (10, 25, 40, 55):
        while len(answered) < before:
            assert any(writer.is_alive() for writer in writers)
        asides.append(replace_with(tmp_path / "old.fuseau-backup", path, then=filled.forget_read))
    ended.set()
    for writer in writers:
        writer.join()
    kept = set()
    for database in (path, *asides):
        with closing(connect(database)) as connection:
            kept |= {label for (label,) in connection.execute("select label from revision")}
    assert len(answered) >= 55
    assert set(answered) <= kept


def test_an_edit_of_what_was_replaced_is_never_taken_for_one_of_what_is_there(path, filled, tmp_path):
    shelf = ShelfStore(filled.engine)
    shelf.edit(lambda now: put(now, [HOLES], "cm"), "first")
    lay = shelf.edit(lambda now: put(now, [HOLES], "cm"), "second")
    write_backup(path, tmp_path / "old.fuseau-backup")
    was = {opened.id: opened for opened in filled.builds()}
    numbers = {entry.revision for build_id in was for entry in filled.history(build_id)}
    replace_with(tmp_path / "old.fuseau-backup", path, then=filled.forget_read)
    for opened in filled.builds():
        history = filled.history(opened.id)
        assert opened.build == was[opened.id].build
        assert len(history) == 4
        assert not numbers & {entry.revision for entry in history}
        assert (opened.undoes, opened.redoes) == (was[opened.id].undoes, was[opened.id].redoes)
        with pytest.raises(Stale) as stale:
            filled.edit(opened.id, was[opened.id].revision, opened.build, "late")
        assert stale.value.changed == ["the workshop was replaced by a backup"]
    shelf.forget_read()
    lies = shelf.open()
    assert (lies.shelf, lies.undoes) == (lay.shelf, "second")
    assert lies.revision > lay.revision
    with pytest.raises(Stale):
        shelf.edit(lambda now: now, "late", revision=lay.revision)
    assert shelf.undo().undoes == "first"


def test_numbers_grow_by_what_comes_in_and_an_older_workshop_is_replaced_too(path, filled, tmp_path):
    write_backup(path, tmp_path / "old.fuseau-backup")
    was = everything(filled)
    for _ in range(3):
        replace_with(tmp_path / "old.fuseau-backup", path, then=filled.forget_read)
    with closing(connect(path)) as connection:
        assert connection.execute("select max(id) from revision").fetchone() == (32,)  # four times eight
        connection.execute("drop table card")
        for later in ("shelf", "shelf_state"):
            connection.execute(f"drop table {later}")
        connection.execute("update alembic_version set version_num = '0003'")
    filled.engine.dispose()
    replace_with(tmp_path / "old.fuseau-backup", path)
    assert everything(Workshop(open_database(path))) == was


def test_what_is_not_fuseaus_stays_beside_it(path, filled):
    theirs = path.parent / "film.part"
    theirs.write_text("another program's")
    theirs.chmod(0o644)
    clear_parts(path)
    keep_private(path.parent)
    assert (theirs.read_text(), theirs.stat().st_mode & 0o777) == ("another program's", 0o644)


def test_what_a_kill_left_half_made_is_cleared_at_the_next_start(path, filled):
    (path.parent / "copies").mkdir()
    (path.parent / "coming-x1").mkdir()
    left = ("backup.part", "backup.part-2.part", "fuseau.db.before-0004.part", "copies/fuseau-2026-11-02.db.part")
    for name in (*left, "waiting.fuseau-backup", "coming-x1/fuseau.db", "fuseau.db.fresh"):
        (path.parent / name).write_bytes(b"half")
    clear_parts(path)
    assert {one.name for one in path.parent.iterdir()} - {"copies"} <= {
        f"fuseau.db{end}" for end in ("", "-wal", "-shm")
    }
    assert list((path.parent / "copies").iterdir()) == []


def test_a_copy_that_was_about_to_take_a_damaged_ones_place_takes_it_at_the_next_start(path, filled):
    was = everything(filled)
    filled.engine.dispose()
    path.rename(path.with_name("fuseau.db.fresh"))
    clear_parts(path)
    assert everything(Workshop(open_database(path))) == was


@pytest.mark.parametrize(
    ("doing", "says"),
    [
        ("create trigger t after insert on build begin delete from build; end", "trigger"),
        ("create view v as select * from build", "view"),
        ("create virtual table letters using fts5(text)", "of a kind that no Fuseau writes"),
        ("create table odd (a integer, b integer generated always as (a + 1) virtual)", "of a kind"),
        ("alter table revision drop column label", "lacks what every backup has: label"),
    ],
)
def test_a_backup_that_would_do_something_by_itself_or_lacks_a_column_is_refused(path, filled, tmp_path, doing, says):
    was, odd = everything(filled), tmp_path / "odd.fuseau-backup"
    write_backup(path, odd)
    with closing(sqlite3.connect(odd)) as connection, connection:
        connection.execute(doing)
    for bring_in in (
        lambda: look_into(odd),
        lambda: restore_beside(odd, filled.engine),
        lambda: replace_with(odd, path),
    ):
        with pytest.raises(UnusableDatabase, match=says):
            bring_in()
    assert everything(filled) == was


def test_a_backup_with_garbled_rows_is_looked_into_without_an_error(path, filled, tmp_path):
    odd = tmp_path / "odd.fuseau-backup"
    write_backup(path, odd)
    with closing(sqlite3.connect(odd)) as connection, connection:
        connection.execute("update revision set made_at = 'x', label = cast(x'ff66' as text)")
        connection.execute("update build set name = '', head_id = 'x' where id = (select min(id) from build)")
        connection.execute("update revision set document = '{' where id = (select max(head_id) from build)")
        connection.execute("update revision set document = '[]' where id = (select min(id) from revision)")
        connection.execute("update build set name = cast(x'ff66' as text) where id = (select max(id) from build)")
    assert look_into(odd, filled.engine).newest is None
    was = everything(filled)
    restore_beside(odd, filled.engine)
    assert everything(filled).items() >= was.items()
    assert replace_with(odd, path, then=filled.forget_read) is not None
    assert len(filled.listed()) == 2
