"""Everything in one file: all builds with their histories, pictures, wearers, settings; and back again.

A backup is a SQLite database with the workshop's own tables, so that it can be read without Fuseau too. It is brought
in beside what is there (nothing of the present workshop is touched), or in its place, after that was copied aside.
"""

import datetime
import hashlib
import json
import sqlite3
import tempfile
import uuid
from collections.abc import Callable, Iterator
from contextlib import closing, contextmanager
from dataclasses import dataclass
from pathlib import Path
from typing import Any, Literal

from sqlalchemy import Connection, Engine, text

from fuseau.store.kept import LARGEST
from fuseau.store.opening import (
    COMING,
    HEAD,
    DamagedDatabase,
    UnusableDatabase,
    connect,
    copy_aside,
    copy_database,
    engine_on,
    look_at,
    make_folder,
    migrate,
    only_writer,
    put_in_place,
    take_the_place,
    telling,
    writing,
)
from fuseau.store.workshop import UnreadableBuild

ENDING = ".fuseau-backup"

_NEEDED = {  # what the first Fuseau wrote already
    "build": {"id", "name", "needed_on", "created_at", "archived", "deleted_at", "head_id"},
    "revision": {"id", "build_id", "parent_id", "label", "made_at", "document"},
}
Standing = Literal["new", "deleted", "changed", "here"]


@dataclass(frozen=True)
class Unfit:
    """A build of a backup that can't be read or worked out: it would come in closed, and says why."""

    name: str
    why: str


@dataclass(frozen=True)
class Contents:
    """What a backup holds, and how much of it is not in the workshop."""

    builds: int
    changes: int
    wearers: int
    pictures: int
    newest: datetime.datetime | None
    new_builds: tuple[str, ...]
    changed_builds: tuple[str, ...]
    unfit: tuple[Unfit, ...]


@dataclass(frozen=True)
class Restored:
    """What came in: builds that were not here, builds that were here in another state, wearers, pictures."""

    builds: int
    beside: int
    here_already: int
    wearers: int
    pictures: int


def write_backup(path: Path, target: Path) -> Contents:
    """Everything in one new file at `target`, checked before it has its name. Raises UnusableDatabase."""
    if not path.exists():
        raise UnusableDatabase(f"There is no workshop in {path.parent}.")
    with telling(f"{target} can't be written"):
        copy_database(path, target)
        return look_into(target)


def look_into(backup: Path, present: Engine | None = None) -> Contents:
    """What a backup holds, against the present workshop if one is given. Raises UnusableDatabase for what is none."""
    with telling(f"{backup} can't be brought in"):
        if look_at(backup) is None:
            raise UnusableDatabase(f"{backup} is empty: it is no backup.")
        with closing(connect(backup)) as old:
            _check_is_ours(old, backup)
            old.row_factory = sqlite3.Row
            there = _tables(old)
            builds = _rows(old, "select * from build where deleted_at is null")
            newest = old.execute("select max(made_at) from revision").fetchone()[0]
            new: list[str] = []
            changed: list[str] = []
            if present is not None:
                with present.connect() as now:
                    for row in builds:
                        where = _standing(old, now, row)
                        if where != "here":
                            (changed if where == "changed" else new).append(str(row["name"] or "(without a name)"))
            return Contents(
                builds=len(builds),
                changes=_count(old, "revision"),
                wearers=_count(old, "wearer") if "wearer" in there else 0,
                pictures=_count(old, "picture") if "picture" in there else 0,
                newest=_moment(newest),
                new_builds=tuple(new),
                changed_builds=tuple(changed),
                unfit=(),
            )


def unfit_in(backup: Path, check: Callable[[str], object], present: Engine | None = None) -> tuple[Unfit, ...]:
    """The builds whose present state `check` refuses, of those that are not in `present` as they are.

    `check` raises UnreadableBuild or a ValueError, either with a sentence.

    Raises UnusableDatabase for a file that is no backup.
    """
    refused: list[Unfit] = []
    with telling(f"{backup} can't be brought in"), closing(connect(backup)) as old:
        old.row_factory = sqlite3.Row
        for row in _rows(old, "select * from build where deleted_at is null order by created_at"):
            if present is not None:
                with present.connect() as now:
                    if _standing(old, now, row) == "here":
                        continue
            head = _rows(old, "select document from revision where id = ?", row["head_id"])
            document = head[0]["document"] if head else None
            try:
                check(document if isinstance(document, str) else "")
            except (UnreadableBuild, ValueError) as error:
                refused.append(Unfit(str(row["name"] or "(without a name)")[:120], str(error)[:300]))
    return tuple(refused)


def restore_beside(backup: Path, engine: Engine) -> Restored:
    """Bring in what is not here: in one transaction, so that all of it comes or nothing.

    A build that is here in another state comes in as a build of its own, named so. Settings stay as they are here.
    Raises UnusableDatabase for a file that is no backup.
    """
    with telling(f"{backup} can't be brought in"):
        look_into(backup)
        folder = Path(engine.url.database or "").parent
        with (
            _brought_up(backup, folder) as fresh,
            closing(connect(fresh)) as old,
            only_writer(engine),
            writing(engine).begin() as now,
        ):
            old.row_factory = sqlite3.Row
            return _merge(old, now)


def replace_with(backup: Path, path: Path, then: Callable[[], None] = lambda: None) -> Path | None:
    """Put a backup in the place of a workshop; where the present one was copied to, or set aside if it is damaged.

    What is there is overwritten in one transaction, so that a server may have it open; whoever writes waits, so that
    each edit is in the copy or made on what is there now. `then` is done before they go on. What comes in has revision
    numbers that the present one never had: an edit of something that was replaced is never taken for one of what is
    there now. Raises UnusableDatabase, and leaves the present one as it was.
    """
    with telling(f"{backup} can't be brought in"):
        look_into(backup)
        with _brought_up(backup, path.parent) as fresh, only_writer(path):
            try:
                present = look_at(path)
            except DamagedDatabase:
                present = None
            if present is None:
                aside = take_the_place(fresh, path)
            else:
                aside = copy_aside(path, "restore")
                _number_after(path, fresh)
                put_in_place(fresh, path)
            then()
            return aside


def _number_after(present: Path, fresh: Path) -> None:
    """Number the revisions of a workshop that comes in after all that the present one ever gave.

    The present one may be of an older Fuseau, without a shelf; numbers that are garbled stay as they are.
    """
    with closing(connect(present)) as now, closing(connect(fresh)) as coming:
        coming.execute("pragma foreign_keys=off")
        coming.execute("begin")
        for table, pointing in (
            ("revision", (("build", "head_id"), ("card", "revision"))),
            ("shelf_state", (("shelf", "head_id"),)),
        ):
            whole = f"between 1 and {LARGEST}"
            most = (
                now.execute(f"select max(id) from {table} where id {whole}").fetchone()
                if table in _tables(now)
                else None
            )
            least = coming.execute(f"select min(id) from {table} where id {whole}").fetchone()
            by = ((most and most[0]) or 0) + 1 - (least[0] or 0)
            if by <= 0:
                continue
            coming.execute(f"update {table} set id = -id where id {whole}")  # so that none meets another on its way
            coming.execute(f"update {table} set id = ? - id where id < 0 and -id {whole}", (by,))
            for other, column in ((table, "parent_id"), *pointing):
                moved = f"typeof({column}) = 'integer' and {column} {whole}"
                coming.execute(f"update {other} set {column} = {column} + ? where {moved}", (by,))
        coming.execute("commit")


@contextmanager
def _brought_up(backup: Path, folder: Path) -> Iterator[Path]:
    """A copy of a backup at the present revision, in `folder`, which goes again; the backup stays as it is."""
    make_folder(folder)
    with tempfile.TemporaryDirectory(prefix=COMING, dir=folder) as coming:
        part = Path(coming) / "fuseau.db"
        copy_database(backup, part)
        if look_at(part) != HEAD:
            engine = engine_on(part)
            migrate(engine)
            engine.dispose()
        yield part


def _check_is_ours(old: sqlite3.Connection, backup: Path) -> None:
    """Tables and indexes with plain columns alone: nothing that would do something by itself once it is here.

    Raises UnusableDatabase.
    """
    odd = old.execute("select type, name from sqlite_master where type not in ('table', 'index')").fetchone()
    if odd is not None:
        raise UnusableDatabase(f"{backup} holds a {odd[0]} ({str(odd[1])[:40]!r}), which no Fuseau writes.")
    for name, written in old.execute("select name, sql from sqlite_master where type = 'table'").fetchall():
        hidden = old.execute("select count(*) from pragma_table_xinfo(?) where hidden", (name,)).fetchone()[0]
        if hidden or not str(written).lower().lstrip().startswith("create table"):
            raise UnusableDatabase(f"{backup} holds a table ({str(name)[:40]!r}) of a kind that no Fuseau writes.")
    for name, columns in _NEEDED.items():
        lacks = columns - {row[0] for row in old.execute("select name from pragma_table_info(?)", (name,))}
        if lacks:
            raise UnusableDatabase(f"{backup} lacks what every backup has: {sorted(lacks)[0]} of each {name}.")


def _moment(kept: object) -> datetime.datetime | None:
    try:
        return datetime.datetime.fromisoformat(str(kept))
    except ValueError:
        return None


def _tables(old: sqlite3.Connection) -> set[str]:
    return {row[0] for row in old.execute("select name from sqlite_master where type = 'table'")}


def _count(old: sqlite3.Connection, table: str) -> int:
    return int(old.execute(f"select count(*) from {table}").fetchone()[0])


def _rows(old: sqlite3.Connection, query: str, *given: object) -> list[dict[str, Any]]:
    return [dict(row) for row in old.execute(query, given)]


def _merge(old: sqlite3.Connection, now: Connection) -> Restored:
    added = beside = here = 0
    for row in _rows(old, "select * from build where deleted_at is null order by created_at"):
        where = _standing(old, now, row)
        if where == "here":
            here += 1
            continue
        if where == "deleted":
            now.execute(text("update build set deleted_at = null where id = :id"), {"id": row["id"]})
            added += 1
            continue
        _take_build(old, now, row, renamed=where == "changed")
        added, beside = added + (where == "new"), beside + (where == "changed")
    _take_shelf(old, now)
    return Restored(
        builds=added,
        beside=beside,
        here_already=here,
        wearers=_take_wearers(old, now),
        pictures=_take_pictures(old, now),
    )


def _take_shelf(old: sqlite3.Connection, now: Connection) -> None:
    """The shelf of the backup with its history, where there is none here yet; else the present one stays."""
    if now.execute(text("select count(*) from shelf_state")).scalar_one():
        return
    for row in _rows(old, "select * from shelf_state order by id"):
        now.execute(
            text(
                "insert into shelf_state (id, parent_id, label, made_at, document) "
                "values (:id, :parent_id, :label, :made_at, :document)"
            ),
            row,
        )
    for row in _rows(old, "select * from shelf"):
        now.execute(text("insert into shelf (id, head_id) values (:id, :head_id)"), row)


def _standing(old: sqlite3.Connection, now: Connection, row: dict[str, Any]) -> Standing:
    """Where a build of a backup stands here: it is here when its present state is one of those in our history."""
    found = now.execute(text("select deleted_at from build where id = :id"), {"id": row["id"]}).first()
    if found is None:
        return "new"
    head = _rows(old, "select document from revision where id = ?", row["head_id"])
    same = (
        head
        and now.execute(
            text("select 1 from revision where build_id = :id and document = :document limit 1"),
            {"id": row["id"], "document": head[0]["document"]},
        ).first()
    )
    if found.deleted_at is not None:
        return "deleted" if same else "new"
    return "here" if same or not head else "changed"


def _take_build(old: sqlite3.Connection, now: Connection, row: dict[str, Any], renamed: bool) -> None:
    taken = now.execute(text("select 1 from build where id = :id"), {"id": row["id"]}).first()
    build_id = uuid.uuid4().hex[:12] if taken else row["id"]
    _insert(now, "build", {**row, "id": build_id, "head_id": None})
    numbers: dict[int, int] = {}
    for one in _rows(old, "select * from revision where build_id = ? order by id", row["id"]):
        number = one.pop("id")
        parent = numbers.get(one["parent_id"])
        numbers[number] = _insert(now, "revision", {**one, "build_id": build_id, "parent_id": parent})
    head, name = numbers.get(row["head_id"]), row["name"]
    document = _document(old, row["head_id"]) if renamed and head is not None else None
    if document is not None:
        name = f"{str(name)[:100]}, from the backup"
        document["brief"] = {**document.get("brief", {}), "name": name}
        last = {
            "build_id": build_id,
            "parent_id": head,
            "label": "brought in from a backup",
            "made_at": f"{datetime.datetime.now(datetime.UTC):%Y-%m-%d %H:%M:%S.%f}",
            "document": json.dumps(document, ensure_ascii=False),
        }
        head = _insert(now, "revision", last)
    now.execute(
        text("update build set head_id = :head, name = :name where id = :id"),
        {"head": head, "name": name, "id": build_id},
    )


def _document(old: sqlite3.Connection, revision: object) -> dict[str, Any] | None:
    """A state of a build; None for one that is damaged, which comes in as it is."""
    try:
        document = json.loads(_rows(old, "select document from revision where id = ?", revision)[0]["document"])
    except (ValueError, TypeError, RecursionError):
        return None
    return document if isinstance(document, dict) and isinstance(document.get("brief", {}), dict) else None


def _take_wearers(old: sqlite3.Connection, now: Connection) -> int:
    added = 0
    for row in _rows(old, "select * from wearer where deleted_at is null"):
        if now.execute(text("select 1 from wearer where id = :id"), {"id": row["id"]}).first() is None:
            _insert(now, "wearer", row)
            added += 1
        for one in _rows(old, "select * from measuring where wearer_id = ?", row["id"]):
            if now.execute(text("select 1 from measuring where id = :id"), {"id": one["id"]}).first() is None:
                _insert(now, "measuring", one)
    return added


def _take_pictures(old: sqlite3.Connection, now: Connection) -> int:
    """Pictures that are not here; what is not what its id says is left out."""
    added = 0
    for row in old.execute("select * from picture"):
        picture = dict(row)
        whole = (
            isinstance(picture["content"], bytes) and hashlib.sha256(picture["content"]).hexdigest() == picture["id"]
        )
        if not whole or picture["media"] not in ("image/jpeg", "image/png"):
            continue
        if now.execute(text("select 1 from picture where id = :id"), {"id": picture["id"]}).first() is None:
            _insert(now, "picture", picture)
            added += 1
    return added


def _insert(now: Connection, table: str, row: dict[str, Any]) -> int:
    names = ", ".join(row)
    places = ", ".join(f":{name}" for name in row)
    return int(now.execute(text(f"insert into {table} ({names}) values ({places})"), row).lastrowid or 0)
