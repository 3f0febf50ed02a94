"""The store: every change is kept, can be undone and done again, and outlives a restart."""

import datetime
import sqlite3

import pytest
from sqlmodel import Session, select

from fuseau.document.build import Build
from fuseau.store.opening import HEAD, NewerDatabase, engine_on, look_at, migrate, open_database
from fuseau.store.tables import RevisionRow
from fuseau.store.workshop import NoSuchBuild, NothingToDo, Stale, Workshop
from tests.conftest import edited


@pytest.fixture
def path(tmp_path):
    return tmp_path / "workshop" / "fuseau.db"


@pytest.fixture
def workshop(path):
    return Workshop(open_database(path))


def test_undo_and_redo_outlive_a_restart(path, workshop, measured):
    made = workshop.make(measured, "made")
    second = workshop.edit(made.id, made.revision, edited(measured, brief__name="Saltmarsh"), "Name")
    third = workshop.edit(made.id, second.revision, edited(second.build, target__gap_mm="4"), "Gap")

    again = Workshop(open_database(path))
    assert again.open(made.id).build.target.gap_mm == 40
    back = again.undo(made.id, third.revision)
    assert back.build.target.gap_mm == 50
    assert (back.undoes, back.redoes) == ("Name", "Gap")
    back = again.undo(made.id, back.revision)
    assert back.build == measured
    assert back.undoes is None
    with pytest.raises(NothingToDo, match="first day"):
        again.undo(made.id, back.revision)
    forth = again.redo(made.id, back.revision)
    assert again.redo(made.id, forth.revision).build == third.build
    with pytest.raises(NothingToDo):
        again.redo(made.id, third.revision)


def test_an_edit_after_undo_keeps_the_undone_branch(workshop, measured):
    made = workshop.make(measured, "made")
    gone = workshop.edit(made.id, made.revision, edited(measured, target__gap_mm="4"), "Gap 4")
    workshop.undo(made.id, gone.revision)
    other = workshop.edit(made.id, made.revision, edited(measured, target__gap_mm="6"), "Gap 6")
    assert other.redoes is None
    labels = [entry.label for entry in workshop.history(made.id)]
    assert labels == ["Gap 6", "Gap 4", "made"]
    restored = workshop.restore(made.id, other.revision, gone.revision)
    assert restored.build.target.gap_mm == 40
    assert restored.undoes == "back to: Gap 4"


def test_a_stale_edit_is_refused_with_what_changed(workshop, measured):
    made = workshop.make(measured, "made")
    workshop.edit(made.id, made.revision, edited(measured, target__gap_mm="4"), "Gap 50 → 40 mm")
    with pytest.raises(Stale) as caught:
        workshop.edit(made.id, made.revision, edited(measured, brief__name="Lost"), "Name")
    assert caught.value.changed == ["Gap 50 → 40 mm"]
    assert workshop.open(made.id).build.brief.name == measured.brief.name


def test_builds_come_by_their_day(workshop):
    for name, day in (("no day", None), ("late", "2027-05-01"), ("soon", "2026-12-01")):
        workshop.make(edited(Build(), brief__name=name, brief__needed_on=day), "made")
    assert [opened.build.brief.name for opened in workshop.builds()] == ["soon", "late", "no day"]


def test_archive_and_delete_can_be_undone(workshop, measured):
    made = workshop.make(measured, "made")
    workshop.archive(made.id, True)
    assert workshop.builds() == []
    assert [opened.id for opened in workshop.builds(archived=True)] == [made.id]
    workshop.archive(made.id, False)
    workshop.delete(made.id)
    with pytest.raises(NoSuchBuild):
        workshop.open(made.id)
    workshop.undelete(made.id)
    assert workshop.open(made.id).build == measured
    with pytest.raises(NoSuchBuild):
        workshop.undelete("nothing")


def test_settings_are_kept(path, workshop):
    assert workshop.setting("unit", "cm") == "cm"
    workshop.set("unit", "in")
    assert Workshop(open_database(path)).setting("unit", "cm") == "in"


def test_the_database_is_safe_against_a_power_cut(path, workshop):
    with workshop._engine.connect() as connection:
        read = {
            name: connection.exec_driver_sql(f"pragma {name}").scalar()
            for name in ("journal_mode", "foreign_keys", "synchronous", "busy_timeout")
        }
    assert read == {"journal_mode": "wal", "foreign_keys": 1, "synchronous": 2, "busy_timeout": 5000}


def test_an_older_database_is_copied_aside_and_migrated(path, measured):
    path.parent.mkdir()
    old = engine_on(path)
    migrate(old, "0001")
    now = datetime.datetime(2026, 1, 1)
    with old.begin() as connection:
        connection.exec_driver_sql("insert into build (id, name, created_at, head_id) values ('a', 'x', ?, 1)", (now,))
        connection.exec_driver_sql(
            "insert into revision (build_id, label, made_at, document) values ('a', 'made', ?, ?)",
            (now, measured.model_dump_json()),
        )
    old.dispose()
    assert look_at(path) == "0001"

    workshop = Workshop(open_database(path))
    assert look_at(path) == HEAD
    assert workshop.open("a").build == measured
    workshop.set("unit", "in")
    aside = path.with_name("fuseau.db.before-0001")
    assert look_at(aside) == "0001"
    with pytest.raises(sqlite3.OperationalError):
        sqlite3.connect(aside).execute("select * from setting")


def test_a_newer_database_is_left_alone(path, workshop):
    with sqlite3.connect(path) as connection:
        connection.execute("update alembic_version set version_num = '9999'")
    with pytest.raises(NewerDatabase, match="newer Fuseau"):
        open_database(path)


def test_the_newest_migration_is_the_head_that_is_checked():
    from alembic.config import Config
    from alembic.script import ScriptDirectory

    from fuseau.store.opening import _MIGRATIONS

    config = Config()
    config.set_main_option("script_location", str(_MIGRATIONS))
    assert ScriptDirectory.from_config(config).get_current_head() == HEAD


def test_migrations_make_the_tables_that_the_models_describe(workshop):
    from alembic.autogenerate import compare_metadata
    from alembic.migration import MigrationContext
    from sqlmodel import SQLModel

    with workshop._engine.connect() as connection:
        differences = compare_metadata(MigrationContext.configure(connection), SQLModel.metadata)
    assert [one for one in differences if one[0] in ("add_table", "remove_table", "add_column", "remove_column")] == []


def test_revisions_are_never_altered(workshop, measured):
    made = workshop.make(measured, "made")
    edited_once = workshop.edit(made.id, made.revision, edited(measured, target__gap_mm="4"), "Gap")
    with Session(workshop._engine) as session:
        first = session.exec(select(RevisionRow).where(RevisionRow.id == made.revision)).one()
        document = first.document
    workshop.undo(made.id, edited_once.revision)
    with Session(workshop._engine) as session:
        assert session.get(RevisionRow, made.revision).document == document
