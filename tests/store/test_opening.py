"""Opening: a crash leaves the old or the new, and whatever lies in the folder is told in a sentence."""

import datetime
import multiprocessing
import os
import sqlite3
import stat
import subprocess
import sys
import threading
from contextlib import closing, contextmanager

import pytest
from sqlalchemy import event

from fuseau.store import opening
from fuseau.store.copies import keep_daily_copy
from fuseau.store.holding import HELD_BY, HeldElsewhere, hold
from fuseau.store.opening import (
    HEAD,
    REVISIONS,
    DamagedDatabase,
    NewerDatabase,
    UnusableDatabase,
    engine_on,
    look_at,
    migrate,
    open_database,
    why_not,
)
from fuseau.store.workshop import Stale, Workshop
from tests.conftest import edited

FORK = multiprocessing.get_context("fork")


@pytest.fixture
def path(tmp_path):
    return tmp_path / "fuseau.db"


def at_revision(path, revision, measured):
    """A database as an older Fuseau left it, with one build in it."""
    engine = engine_on(path)
    migrate(engine, revision)
    with engine.begin() as connection:
        connection.exec_driver_sql(
            "insert into build (id, name, created_at, head_id) values ('a', 'x', '2026-01-01 00:00:00', 1)"
        )
        connection.exec_driver_sql(
            "insert into revision (build_id, label, made_at, document) values ('a', 'made', '2026-01-01 00:00:00', ?)",
            (measured.model_dump_json(),),
        )
    engine.dispose()


def left_by_a_kill(path, states):
    """What a kill would leave now: the files as the system has them, once each; their folder is new in `states`."""
    names = [path.name, f"{path.name}-wal", f"{path.name}-journal"]
    files = {name: (path.parent / name).read_bytes() for name in names if (path.parent / name).exists()}
    if files not in states.values():
        folder = path.parent / f"killed {len(states)}"
        folder.mkdir()
        for name, held in files.items():
            (folder / name).write_bytes(held)
        states[folder] = files


@pytest.mark.parametrize("start", [None, *REVISIONS[:-1]])
def test_a_crash_at_any_statement_of_a_migration_leaves_a_workshop_that_opens(tmp_path, path, start, measured):
    if start:
        at_revision(path, start, measured)
    states, statements = {}, 0
    engine = engine_on(path)

    def look(*_):
        nonlocal statements
        statements += 1
        left_by_a_kill(path, states)

    for when in ("before_cursor_execute", "after_cursor_execute", "commit"):
        event.listen(engine, when, look)
    migrate(engine)
    left_by_a_kill(path, states)
    for folder in states:
        engine = open_database(folder / path.name)
        assert look_at(folder / path.name) == HEAD
        if start:
            assert Workshop(engine).open("a").build == measured
        engine.dispose()
    assert statements > 10
    assert len(states) > 1


@pytest.mark.parametrize("at", [0, 9])
def test_a_migration_that_is_really_killed_is_made_the_next_time(path, at, measured):
    at_revision(path, "0001", measured)

    def work():
        seen = 0
        engine = engine_on(path)

        def count(*_):
            nonlocal seen
            if seen == at:
                os._exit(7)
            seen += 1

        event.listen(engine, "after_cursor_execute", count)
        migrate(engine)

    child = FORK.Process(target=work)
    child.start()
    child.join()
    assert child.exitcode == 7
    assert Workshop(open_database(path)).open("a").build == measured


def test_a_migration_that_fails_puts_the_copy_back_and_names_it(path, measured, monkeypatch):
    at_revision(path, "0001", measured)
    real = opening.migrate

    def halfway(engine, to=HEAD):
        real(engine, "0002")
        raise RuntimeError("there is no such column")

    monkeypatch.setattr(opening, "migrate", halfway)
    with pytest.raises(UnusableDatabase, match=r"as it was, and .*before-0001 is a copy") as caught:
        open_database(path)
    assert "no such column" in str(caught.value)
    assert look_at(path) == "0001"
    monkeypatch.undo()
    assert Workshop(open_database(path)).open("a").build == measured


def cut_short(path):
    content = path.read_bytes()
    path.write_bytes(content[: len(content) // 2])


def scribbled(path):
    content = bytearray(path.read_bytes())
    content[4096:9000] = os.urandom(9000 - 4096)
    path.write_bytes(content)


def misnamed(path):
    """Bytes that no text has, in what SQLite quotes when it says what is wrong."""
    content = path.read_bytes()
    assert b"tablewearerwearer" in content
    content = content.replace(b"tablewearerwearer", b"tablew\xc8arerwearer")
    path.write_bytes(content.replace(b"CREATE TABLE wearer", b"CREATE TABLE (earer"))


def foreign(path):
    path.unlink()
    with closing(sqlite3.connect(path)) as connection:
        connection.execute("create table recipes (name text)")
        connection.commit()


def newer(path):
    with closing(sqlite3.connect(path)) as connection:
        connection.execute("update alembic_version set version_num = '9999'")
        connection.commit()


def unheard_of(path):
    with closing(sqlite3.connect(path)) as connection:
        connection.execute("update alembic_version set version_num = '0000'")
        connection.commit()


def a_folder(path):
    path.unlink()
    path.mkdir()


@pytest.mark.parametrize(
    ("harm", "kind", "said"),
    [
        (cut_short, DamagedDatabase, "damaged"),
        (scribbled, DamagedDatabase, "damaged"),
        (misnamed, DamagedDatabase, "damaged"),
        (lambda path: path.write_bytes(os.urandom(9000)), DamagedDatabase, "no database, or is damaged"),
        (foreign, UnusableDatabase, "of another program"),
        (newer, NewerDatabase, "newer Fuseau"),
        (unheard_of, UnusableDatabase, "no Fuseau wrote"),
        (a_folder, UnusableDatabase, "move it away"),
    ],
)
def test_what_is_no_workshop_is_told_and_left_as_it_is(path, measured, harm, kind, said):
    engine = open_database(path)
    for _ in range(12):
        Workshop(engine).make(measured, "made")
    with engine.connect() as connection:
        connection.exec_driver_sql("pragma wal_checkpoint(truncate)")
    engine.dispose()
    harm(path)
    before = path.read_bytes() if path.is_file() else None
    with pytest.raises(kind, match=said) as caught:
        open_database(path)
    assert len(str(caught.value).splitlines()) == 1
    assert (path.read_bytes() if path.is_file() else None) == before


def test_a_file_where_the_folder_has_to_be_is_told(tmp_path):
    (tmp_path / "data").write_text("not a folder")
    with pytest.raises(UnusableDatabase, match="is a file, not a folder"):
        open_database(tmp_path / "data" / "fuseau.db")
    with pytest.raises(UnusableDatabase, match="is a file, not a folder"), hold(tmp_path / "data", "this"):
        pass


@pytest.mark.parametrize(
    ("error", "said"),
    [
        (OSError(28, "No space left on device"), "disk is full"),
        (PermissionError(13, "Permission denied"), "may only be read"),
        (OSError(30, "Read-only file system"), "may only be read"),
        (ValueError("something else"), None),
    ],
)
def test_what_the_system_refuses_becomes_a_sentence(error, said):
    found = why_not(error)
    assert found is None if said is None else said in found


@contextmanager
def tmpfs(folder, options):
    """A small disk of our own. Skips where this machine allows none."""
    folder.mkdir(exist_ok=True)
    if (
        os.geteuid() != 0
        or subprocess.run(
            ["mount", "-t", "tmpfs", "-o", options, "tmpfs", str(folder)], capture_output=True, check=False
        ).returncode
    ):
        pytest.skip("this machine mounts no disk for a test")
    try:
        yield folder
    finally:
        subprocess.run(["umount", "-l", str(folder)], check=True)


def test_a_disk_that_may_only_be_read_is_told(tmp_path, measured):
    with tmpfs(tmp_path / "disk", "size=4m") as disk:
        engine = open_database(disk / "fuseau.db")
        Workshop(engine).make(measured, "made")
        engine.dispose()
        subprocess.run(["mount", "-o", "remount,ro", str(disk)], check=True)
        with pytest.raises(UnusableDatabase, match="may only be read"):
            open_database(disk / "fuseau.db")
        with pytest.raises(UnusableDatabase, match="may only be read"), hold(disk, "this"):
            pass


def test_a_disk_that_is_full_at_the_start_is_told(tmp_path):
    with tmpfs(tmp_path / "disk", "size=64k") as disk:
        (disk / "photos").write_bytes(bytes(60_000))
        with pytest.raises(UnusableDatabase, match=r"disk is full|may be full"):
            open_database(disk / "fuseau.db")


# --- two at once


def test_one_server_a_folder_and_the_second_hears_who_holds_it(tmp_path):
    asked, done = FORK.Event(), FORK.Event()

    def holder():
        with hold(tmp_path, "http://127.0.0.1:8321"):
            asked.set()
            done.wait(20)
            os._exit(1)  # as a crash: nothing is let go of by hand

    child = FORK.Process(target=holder)
    child.start()
    assert asked.wait(20)
    said = rf"http://127.0.0.1:8321 \(process {child.pid}, since "
    with pytest.raises(HeldElsewhere, match=said), hold(tmp_path, "this"):
        pass
    done.set()
    child.join()
    with hold(tmp_path, "this"):
        assert (tmp_path / "fuseau.held.json").exists()
    assert not (tmp_path / "fuseau.held.json").exists()


def test_two_programs_that_write_all_the_same_lose_no_edit(path, measured):
    ours, theirs = Workshop(open_database(path)), Workshop(open_database(path))
    made = ours.make(measured, "made")
    kept, refused = [], []

    def draw_gaps(workshop, gaps):
        for gap in gaps:
            seen = workshop.open(made.id)
            try:
                kept.append(workshop.edit(made.id, seen.revision, edited(seen.build, target__gap_mm=gap), f"{gap}"))
            except Stale:
                refused.append(gap)

    threads = [
        threading.Thread(target=draw_gaps, args=(ours, range(20, 40))),
        threading.Thread(target=draw_gaps, args=(theirs, range(40, 60))),
    ]
    for one in threads:
        one.start()
    for one in threads:
        one.join()
    assert len(kept) + len(refused) == 40
    line = ours.history(made.id)
    assert len(line) == 1 + len(kept)
    parents = [entry.parent for entry in line]
    assert len(set(parents)) == len(parents), "two edits were made on the same revision"


def test_the_command_line_says_it_in_one_sentence_and_ends_with_1(tmp_path):
    (tmp_path / "fuseau.db").write_bytes(b"not a database at all, but long enough to look at")
    said = subprocess.run(
        [sys.executable, "-m", "fuseau", "serve", "--data", str(tmp_path), "--port", "1"],
        capture_output=True,
        text=True,
        check=False,
    )
    assert said.returncode == 1
    assert "is no database, or is damaged" in said.stderr
    assert "Traceback" not in said.stderr


def test_what_is_kept_is_its_makers_alone(path):
    with hold(path.parent, "a server"):
        open_database(path).dispose()
        keep_daily_copy(path, datetime.date(2026, 11, 27))
        (path.parent / "room").mkdir()
        (path.parent / "room" / "devices.json").write_text("{}")
    for one in (path.parent, *path.parent.rglob("*")):
        one.chmod(0o755 if one.is_dir() else 0o644)  # as an older Fuseau left it
    with hold(path.parent, "a server"):
        kept = [path.parent, *(one for one in path.parent.rglob("*") if one.name != HELD_BY)]
        assert len(kept) >= 6
        assert {stat.S_IMODE(one.stat().st_mode) for one in kept if one.is_dir()} == {0o700}
        assert {stat.S_IMODE(one.stat().st_mode) for one in kept if not one.is_dir()} == {0o600}


def test_a_folder_in_the_place_of_the_lock_is_told(path):
    (path.parent / "fuseau.lock").mkdir(parents=True)
    with pytest.raises(UnusableDatabase, match=r"fuseau\.lock is a folder"), hold(path.parent, "a server"):
        pass
