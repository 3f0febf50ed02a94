"""Copies of the whole database: one a day, kept for a week, and the newest good one when the database is damaged."""

import datetime
import sqlite3
from contextlib import closing
from dataclasses import dataclass
from pathlib import Path

from fuseau.store.opening import (
    UnusableDatabase,
    check_whole,
    connect,
    copy_database,
    make_folder,
    revision_in,
    take_the_place,
)

KEPT_DAYS = 7


@dataclass(frozen=True)
class Copy:
    """A copy of the database: where, of when, how large."""

    path: Path
    made_at: datetime.datetime
    size_bytes: int


def keep_daily_copy(path: Path, today: datetime.date) -> Path | None:
    """Today's copy in `copies/`, unless there is one; the newest seven stay. None where nothing was copied.

    Raises sqlite3.Error, OSError or DamagedDatabase; the earlier copies then stay as they are.
    """
    folder = path.parent / "copies"
    target = folder / f"{path.stem}-{today.isoformat()}.db"
    if target.exists() or not path.exists():
        return None
    make_folder(folder)
    copy_database(path, target)
    for old in sorted(folder.glob(f"{path.stem}-????-??-??.db"))[:-KEPT_DAYS]:
        old.unlink()
    return target


def copies_of(path: Path) -> list[Copy]:
    """Every copy of a database, newest first: the daily ones, and those from before a migration or a restoring."""
    found = [*(path.parent / "copies").glob(f"{path.stem}-*.db"), *path.parent.glob(f"{path.name}.before-*")]
    listed = []
    for one in found:
        if one.suffix == ".part":
            continue
        stat = one.stat()
        listed.append(Copy(one, datetime.datetime.fromtimestamp(stat.st_mtime).astimezone(), stat.st_size))
    return sorted(listed, key=lambda copy: copy.made_at, reverse=True)


def newest_good_copy(path: Path) -> Copy | None:
    """The newest copy that is whole and that this Fuseau can open."""
    for copy in copies_of(path):
        try:
            with closing(connect(copy.path)) as connection:
                check_whole(connection, copy.path)
                if revision_in(connection, copy.path) is not None:
                    return copy
        except (sqlite3.Error, UnusableDatabase):
            continue
    return None


def recover(path: Path) -> tuple[Copy, Path | None]:
    """Put the newest good copy in the place of a damaged database, which is set aside, not lost.

    Returns the copy, and where the damaged file is now. Raises UnusableDatabase where there is no good copy.
    """
    copy = newest_good_copy(path)
    if copy is None:
        raise UnusableDatabase(f"There is no good copy of {path}. If you have a backup: fuseau restore FILE.")
    return copy, take_the_place(copy.path, path)
