"""Opening the database: pragmas, and migration of an older one after copying it aside."""

import sqlite3
from pathlib import Path

from sqlalchemy import Engine, event
from sqlmodel import create_engine

HEAD = "0003"
_MIGRATIONS = Path(__file__).parent / "migrations"


class NewerDatabase(RuntimeError):
    """The database was written by a newer Fuseau."""


def open_database(path: Path) -> Engine:
    """An engine on the database at `path`, made or migrated as needed.

    An older database is first copied aside as `<name>.before-<revision>`. Raises NewerDatabase for one that
    this Fuseau does not know, and sqlite3.DatabaseError for a file that is none.
    """
    path.parent.mkdir(parents=True, exist_ok=True)
    found = revision_of(path)
    engine = _engine(path)
    if found == HEAD:
        return engine
    if found is not None and found > HEAD:
        engine.dispose()
        raise NewerDatabase(f"{path} was written by a newer Fuseau (revision {found}; this one knows {HEAD}).")
    if found is not None:
        copy_aside(path, found)
    migrate(engine)
    return engine


def revision_of(path: Path) -> str | None:
    """The migration that a database is at; None for one that does not exist yet."""
    if not path.exists() or path.stat().st_size == 0:
        return None
    connection = sqlite3.connect(path)
    try:
        row = connection.execute("select version_num from alembic_version").fetchone()
    finally:
        connection.close()
    return str(row[0]) if row else None


def copy_aside(path: Path, revision: str) -> Path:
    """A consistent copy beside the database, by SQLite's own backup; earlier copies are kept."""
    target = path.with_name(f"{path.name}.before-{revision}")
    number = 1
    while target.exists():
        number += 1
        target = path.with_name(f"{path.name}.before-{revision}-{number}")
    source, copy = sqlite3.connect(path), sqlite3.connect(target)
    try:
        source.backup(copy)
    finally:
        source.close()
        copy.close()
    return target


def migrate(engine: Engine, to: str = HEAD) -> None:
    """Run the migrations up to a revision."""
    from alembic import command
    from alembic.config import Config

    config = Config()
    config.set_main_option("script_location", str(_MIGRATIONS))
    with engine.begin() as connection:
        config.attributes["connection"] = connection
        command.upgrade(config, to)


def _engine(path: Path) -> Engine:
    engine = create_engine(f"sqlite:///{path}", connect_args={"check_same_thread": False})

    @event.listens_for(engine, "connect")
    def _pragmas(connection: sqlite3.Connection, _: object) -> None:
        for pragma in ("journal_mode=WAL", "foreign_keys=ON", "synchronous=FULL", "busy_timeout=5000"):
            connection.execute(f"pragma {pragma}")

    return engine
