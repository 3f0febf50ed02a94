"""Opening the database: what is there is looked at first, an older one migrated after copying it aside."""

import errno
import os
import shutil
import sqlite3
import threading
from collections import defaultdict
from collections.abc import Iterator
from contextlib import closing, contextmanager, suppress
from pathlib import Path

from sqlalchemy import Connection, Engine, event
from sqlmodel import create_engine

REVISIONS = ("0001", "0002", "0003", "0004", "0005")
HEAD = REVISIONS[-1]
_MIGRATIONS = Path(__file__).parent / "migrations"
_OURS = ("fuseau.*", "copies", "copies/fuseau-*", "room", "room/*")  # beside which other things may lie
COMING = "coming-"  # folders of what is being brought in
_MAGIC = b"SQLite format 3\x00"
_BUSY_MS = 5000
_PATIENCE_S = 30.0  # of who wants to write while a backup takes the workshop's place
_WRITERS: defaultdict[str, threading.RLock] = defaultdict(threading.RLock)  # by database


class UnusableDatabase(RuntimeError):
    """The workshop can't be opened. The message is a plain sentence that says what to do."""


class NewerDatabase(UnusableDatabase):
    """The database was written by a newer Fuseau."""


class DamagedDatabase(UnusableDatabase):
    """The file is no whole database any more."""


def open_database(path: Path) -> Engine:
    """An engine on the database at `path`, made or migrated as needed.

    An older database is first copied aside as `<name>.before-<revision>`; if a migration fails, the copy is put back.
    Raises UnusableDatabase with what to do: damaged, foreign, newer, not writable, disk full, no folder.
    """
    with telling(f"The workshop in {path.parent} can't be opened"):
        make_folder(path.parent)
        found = look_at(path)
        engine = engine_on(path)
        with engine.connect() as connection:
            connection.exec_driver_sql("select 1")
        if found == HEAD:
            return engine
        if found is None:
            migrate(engine)
            return engine
        copy = copy_aside(path, found)
    try:
        migrate(engine)
    except Exception as error:
        engine.dispose()
        put_in_place(copy, path)
        raise UnusableDatabase(
            f"Your workshop could not be brought up to this version ({_one_line(error)}). It is as it was, and "
            f"{copy} is a copy of it. Go on with the version of Fuseau that you had, and send us this sentence."
        ) from error
    return engine


def look_at(path: Path) -> str | None:
    """The revision of a database, read without changing it; None where there is none yet.

    Raises DamagedDatabase, NewerDatabase, or UnusableDatabase for a file of another program.
    """
    if path.is_dir():
        raise UnusableDatabase(f"{path} is a folder, where the database has to be: move it away.")
    if not path.exists() or path.stat().st_size == 0:
        return None
    with path.open("rb") as file:
        if file.read(len(_MAGIC)) != _MAGIC:
            raise DamagedDatabase(f"{path} is no database, or is damaged from its first byte on.")
    try:
        with closing(connect(path)) as connection:
            check_whole(connection, path)
            return revision_in(connection, path)
    except UnicodeDecodeError:  # what SQLite says of the damage quotes it
        raise DamagedDatabase(f"{path} is damaged: the names of its tables can't be read.") from None
    except sqlite3.DatabaseError as error:
        if _name(error) in ("SQLITE_CORRUPT", "SQLITE_NOTADB"):
            raise DamagedDatabase(f"{path} is damaged ({error}).") from None
        raise


def connect(path: Path) -> sqlite3.Connection:
    """A plain connection that does not believe what a file's schema says it may run. Raises sqlite3.Error."""
    connection = sqlite3.connect(path, timeout=_BUSY_MS / 1000, isolation_level=None)
    connection.execute("pragma trusted_schema=off")
    connection.text_factory = _text
    return connection


def check_whole(connection: sqlite3.Connection, path: Path) -> None:
    """Every page of the database is where it has to be. Raises DamagedDatabase."""
    said = [row[0] for row in connection.execute("pragma quick_check(3)")]
    if said != ["ok"]:
        raise DamagedDatabase(f"{path} is damaged ({_one_line(said[0])}).")


def revision_in(connection: sqlite3.Connection, path: Path) -> str | None:
    """The migration that a database is at; None for one without tables. Raises NewerDatabase, UnusableDatabase."""
    tables = {row[0] for row in connection.execute("select name from sqlite_master where type = 'table'")}
    if not tables - {"alembic_version", "sqlite_sequence"}:
        return None
    row = (
        connection.execute("select version_num from alembic_version").fetchone()
        if "alembic_version" in tables
        else None
    )
    if row is None or "build" not in tables:
        raise UnusableDatabase(f"{path} is a database of another program: choose another folder with --data.")
    found = str(row[0])
    if found in REVISIONS:
        return found
    if found > HEAD:
        raise NewerDatabase(
            f"{path} was written by a newer Fuseau (revision {found}; this one knows {HEAD}): start that one."
        )
    raise UnusableDatabase(f"{path} says that it is at revision {found[:20]}, which no Fuseau wrote.")


def make_folder(folder: Path) -> None:
    """The folder, made if need be. Raises UnusableDatabase where a file is in its place."""
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except (FileExistsError, NotADirectoryError):
        raise UnusableDatabase(f"{folder} is a file, not a folder: choose a folder with --data.") from None


def keep_private(folder: Path) -> None:
    """The folder, and what Fuseau keeps in it, for its maker alone: measures of bodies are nobody else's.

    What can't be changed, since it is another's, stays as it is.
    """
    for one in (folder, *(one for name in _OURS for one in folder.glob(name))):
        with suppress(OSError):
            if not one.is_symlink():
                one.chmod(0o700 if one.is_dir() else 0o600)


def copy_aside(path: Path, revision: str) -> Path:
    """A consistent copy beside the database, by SQLite's own backup; earlier copies are kept."""
    target = unused(path.with_name(f"{path.name}.before-{revision}"))
    copy_database(path, target)
    return target


def unused(path: Path) -> Path:
    """The path, or the next one like it that nothing is at."""
    number, found = 1, path
    while found.exists():
        number += 1
        found = path.with_name(f"{path.name}-{number}")
    return found


def copy_database(path: Path, target: Path) -> None:
    """A whole copy by SQLite's own backup, checked before it has its name. Raises sqlite3.Error, OSError."""
    part = target.with_name(f"{target.name}.part")
    part.unlink(missing_ok=True)
    try:
        with closing(connect(path)) as source, closing(connect(part)) as copy:
            source.backup(copy)
            copy.execute("pragma journal_mode=delete")
            check_whole(copy, part)
        with part.open("rb") as file:
            os.fsync(file.fileno())
        part.replace(target)
    finally:
        part.unlink(missing_ok=True)


def set_aside(path: Path) -> Path:
    """A damaged database with another name, so that nothing of it is lost; where it is now."""
    aside = unused(path.with_name(f"{path.name}.damaged"))
    for beside in ("-wal", "-shm"):
        left = path.with_name(path.name + beside)
        if left.exists():
            left.rename(aside.with_name(aside.name + beside))
    path.rename(aside)
    return aside


def put_in_place(copy: Path, path: Path) -> None:
    """What a copy holds in the place of what a whole database does: in one transaction, so that a crash leaves one of
    the two; other connections to it see what is there now. The copy stays.
    """
    with closing(connect(copy)) as source, closing(connect(path)) as target:
        source.backup(target)


def take_the_place(copy: Path, path: Path) -> Path | None:
    """A copy in the place of a database that is damaged, or not there; where the damaged one is now. The copy stays.

    Who is killed between the two leaves the copy as `<name>.fresh`: `clear_parts` goes on from there.
    """
    fresh = _fresh(path)
    copy_database(copy, fresh)
    aside = set_aside(path) if path.exists() else None
    fresh.replace(path)
    return aside


def clear_parts(path: Path) -> None:
    """Take away what a process that was killed left half made beside a database. Only for who holds its folder.

    A copy that was about to take the place of a damaged one, which is set aside already, does so now.
    """
    fresh = _fresh(path)
    if fresh.exists() and not path.exists():
        with closing(connect(fresh)) as connection:
            check_whole(connection, fresh)
        fresh.replace(path)
    folder = path.parent
    for parts in (f"{path.name}*.part", "backup.part*", f"copies/{path.stem}-*.part", "waiting.fuseau-backup*"):
        for left in folder.glob(parts):
            left.unlink(missing_ok=True)
    fresh.unlink(missing_ok=True)
    for left in folder.glob(f"{COMING}*"):
        shutil.rmtree(left, ignore_errors=True)


def _fresh(path: Path) -> Path:
    return path.with_name(f"{path.name}.fresh")


def migrate(engine: Engine, to: str = HEAD) -> None:
    """Run the migrations up to a revision, each in a transaction of its own, so that a crash leaves old or new."""
    from alembic import command
    from alembic.config import Config

    config = Config()
    config.set_main_option("script_location", str(_MIGRATIONS))
    with writing(engine).connect() as connection:
        config.attributes["connection"] = connection
        command.upgrade(config, to)


def writing(engine: Engine) -> Engine:
    """The same engine, each of whose transactions is the only writer from its first moment on."""
    return engine.execution_options(begin="begin immediate")


@contextmanager
def only_writer(database: Engine | Path) -> Iterator[None]:
    """Nobody else of this process writes to a database while inside; who is inside may go in again.

    Raises UnusableDatabase where another is inside for longer than anybody waits.
    """
    name = database.url.database if isinstance(database, Engine) else str(database)
    lock = _WRITERS[name or ""]
    if not lock.acquire(timeout=_PATIENCE_S):
        raise UnusableDatabase("The workshop is busy with something that takes long: do it again in a moment.")
    try:
        yield
    finally:
        lock.release()


def _text(kept: bytes) -> str:
    """Text as it is kept; what is damaged of it is told by signs that stand for none."""
    return kept.decode("utf-8", "replace")


def engine_on(path: Path) -> Engine:
    """An engine that begins its transactions itself, as SQLite means them: DDL is inside them."""
    engine = create_engine(f"sqlite:///{path}", connect_args={"check_same_thread": False})

    @event.listens_for(engine, "connect")
    def _pragmas(connection: sqlite3.Connection, _: object) -> None:
        connection.isolation_level = None
        connection.text_factory = _text
        for pragma in ("journal_mode=WAL", "foreign_keys=ON", "synchronous=FULL", f"busy_timeout={_BUSY_MS}"):
            connection.execute(f"pragma {pragma}")

    @event.listens_for(engine, "begin")
    def _begin(connection: Connection) -> None:
        connection.exec_driver_sql(connection.get_execution_options().get("begin", "begin"))

    return engine


# --- what goes wrong, in plain sentences


@contextmanager
def telling(what: str) -> Iterator[None]:
    """What the disk or SQLite refuses, said after `what` can't be done, with what to do. Raises UnusableDatabase."""
    try:
        yield
    except UnusableDatabase:
        raise
    except Exception as error:
        said = why_not(error)
        if said is None:
            raise
        raise UnusableDatabase(f"{what}: {said}") from error


def why_not(error: BaseException | None) -> str | None:
    """Why the disk did not take or give something, and what to do; None where it was something else."""
    while error is not None:
        if isinstance(error, sqlite3.Error):
            return _why_sqlite_not(error)
        if isinstance(error, OSError):
            return _why_system_not(error)
        error = getattr(error, "orig", None) or error.__cause__
    return None


FULL = "the disk is full. Make room, then do it again."
_READ_ONLY = "it may only be read. Give yourself the right to write there, or choose another folder with --data."


def _why_sqlite_not(error: sqlite3.Error) -> str | None:
    name = _name(error)
    if name == "SQLITE_FULL":
        return FULL
    if name.startswith(("SQLITE_READONLY", "SQLITE_CANTOPEN", "SQLITE_PERM")):
        return _READ_ONLY
    if name.startswith(("SQLITE_BUSY", "SQLITE_LOCKED")):
        return "another program holds it. Close that one, then do it again."
    if name.startswith("SQLITE_IOERR"):
        return "the disk could not be read or written. It may be full, or failing: make room, then do it again."
    if name.startswith(("SQLITE_CORRUPT", "SQLITE_NOTADB")):
        return "the database is damaged. Stop Fuseau and start it again: it then offers the newest good copy."
    return None


def _why_system_not(error: OSError) -> str | None:
    if error.errno in (errno.ENOSPC, errno.EDQUOT, errno.EFBIG):
        return FULL
    if error.errno in (errno.EACCES, errno.EPERM, errno.EROFS):
        return _READ_ONLY
    if error.errno == errno.ENAMETOOLONG:
        return "the name of the folder is too long."
    return None


def _name(error: sqlite3.Error) -> str:
    return getattr(error, "sqlite_errorname", None) or ""


def _one_line(said: object) -> str:
    return " ".join(str(said).split())[:160]
