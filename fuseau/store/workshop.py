"""The workshop's builds: making, opening, editing, undo and redo, archiving and deleting with undo."""

import datetime
import json
import threading
import uuid
from collections import OrderedDict
from collections.abc import Callable
from dataclasses import dataclass

from pydantic import ValidationError
from sqlalchemy import Engine, case, func
from sqlmodel import Session, col, select

from fuseau.document.build import FORMAT, Build, read_build
from fuseau.store.kept import LARGEST
from fuseau.store.opening import only_writer, writing
from fuseau.store.tables import BuildRow, RevisionRow, SettingRow
from fuseau.wording.faults import faults

_MOST_READ = 40


class NoSuchBuild(LookupError):
    """There is no build with this id, or it was deleted."""


class UnreadableBuild(RuntimeError):
    """A build whose kept state can't be read any more. The message says why."""


class Stale(RuntimeError):
    """The edit was made on a revision that is no longer the present one; `changed` says what happened since."""

    def __init__(self, revision: int, changed: list[str]) -> None:
        super().__init__("This build has changed since.")
        self.revision = revision
        self.changed = changed


class NothingToDo(RuntimeError):
    """There is nothing to undo, or to redo."""


@dataclass(frozen=True)
class Opened:
    """A build with its place in its history."""

    id: str
    build: Build
    revision: int
    archived: bool
    undoes: str | None
    redoes: str | None


@dataclass(frozen=True)
class Listed:
    """A build as it stands in the workshop, without its contents."""

    id: str
    name: str
    needed_on: datetime.date | None
    archived: bool
    revision: int


@dataclass(frozen=True)
class Entry:
    """A line of a build's history."""

    revision: int
    parent: int | None
    label: str
    made_at: datetime.datetime
    present: bool


class Workshop:
    """All builds in one database. One writer at a time; every change is a revision that stays.

    `told` hears of every build that stands otherwise now: its id, and its present revision.
    """

    def __init__(self, engine: Engine, told: Callable[[str, int], None] = lambda build_id, revision: None) -> None:
        self._told = told
        self._engine = self.engine = engine
        self._writer = writing(engine)
        self._read: OrderedDict[int, Build] = OrderedDict()  # by revision, which never changes
        self._reading = threading.Lock()

    # --- reading

    def listed(self, archived: bool = False) -> list[Listed]:
        """Builds that are not deleted, by the day they are needed; those without a day come last. None is read."""
        with Session(self._engine, expire_on_commit=False) as session:
            rows = session.exec(
                select(BuildRow)
                .where(col(BuildRow.deleted_at).is_(None), case((col(BuildRow.archived) == 1, 1), else_=0) == archived)
                .order_by(col(BuildRow.needed_on).is_(None), col(BuildRow.needed_on), col(BuildRow.created_at))
            ).all()
            return [_listed(row) for row in rows]

    def look(self, build_id: str) -> Listed:
        """One build without its contents. Raises NoSuchBuild."""
        with Session(self._engine, expire_on_commit=False) as session:
            return _listed(self._row(session, build_id))

    def builds(self, archived: bool = False) -> list[Opened]:
        """The builds of the list that can be read, in its order."""
        builds = []
        for line in self.listed(archived):
            try:
                builds.append(self.open(line.id))
            except (NoSuchBuild, UnreadableBuild):
                continue
        return builds

    def document(self, build_id: str) -> str:
        """The present state of a build as it is kept, whether it can be read or not; the newest, where none is present.

        Raises NoSuchBuild.
        """
        with Session(self._engine, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            newest = select(RevisionRow).where(RevisionRow.build_id == build_id).order_by(col(RevisionRow.id).desc())
            kept = session.get(RevisionRow, row.head_id or 0) or session.exec(newest).first()
            if kept is None:
                raise NoSuchBuild("Nothing is kept of this build.")
            return kept.document

    def newest_whole(self, build_id: str) -> Entry | None:
        """The newest revision of a build, other than the present, that can be read. Raises NoSuchBuild."""
        for entry in self.history(build_id):
            if entry.present:
                continue
            try:
                self.at(build_id, entry.revision)
            except UnreadableBuild:
                continue
            return entry
        return None

    def at(self, build_id: str, revision: int) -> Build:
        """The build as it was at one of its revisions. Raises NoSuchBuild, UnreadableBuild."""
        with Session(self._engine, expire_on_commit=False) as session:
            self._row(session, build_id)
            old = session.get(RevisionRow, revision)
            if old is None or old.build_id != build_id:
                raise NoSuchBuild("This build has no such revision.")
            return self._build(session, revision)

    def before(self, build_id: str, revision: int) -> int:
        """The revision that `undo` would go back to. Raises NothingToDo at the first, Stale as `edit` does."""
        with Session(self._engine, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            self._check_present(session, row, revision)
            parent = self._revision(session, row.head_id).parent_id
            if parent is None:
                raise NothingToDo("This is the first day of this build: nothing is left to undo.")
            return parent

    def after(self, build_id: str, revision: int) -> int:
        """The revision that `redo` would go on to. Raises NothingToDo at the last, Stale as `edit` does."""
        with Session(self._engine, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            self._check_present(session, row, revision)
            following = self._following(session, row.head_id)
            if following is None or following[0] is None:
                raise NothingToDo("Nothing was undone that could be done again.")
            return following[0]

    def open(self, build_id: str) -> Opened:
        """One build. Raises NoSuchBuild."""
        with Session(self._engine, expire_on_commit=False) as session:
            return self._opened(session, self._row(session, build_id))

    def history(self, build_id: str, most: int = 200) -> list[Entry]:
        """The build's revisions, newest first."""
        with Session(self._engine, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            found = session.exec(
                select(RevisionRow)
                .where(RevisionRow.build_id == build_id, col(RevisionRow.id).between(1, LARGEST))
                .order_by(col(RevisionRow.id).desc())
                .limit(most)
            ).all()
            return [
                Entry(
                    revision=one.id or 0,
                    parent=one.parent_id,
                    label=one.label,
                    made_at=one.made_at,
                    present=one.id == row.head_id,
                )
                for one in found
            ]

    # --- writing

    def make(self, build: Build, label: str) -> Opened:
        """Put a new build into the workshop."""
        with only_writer(self._engine), Session(self._writer, expire_on_commit=False) as session:
            row = BuildRow(id=uuid.uuid4().hex[:12], name=build.brief.name, created_at=_now())
            session.add(row)
            session.flush()
            return self._keep(session, row, build, label)

    def edit(self, build_id: str, revision: int, build: Build, label: str) -> Opened:
        """Keep a changed build as the next revision. Raises Stale when `revision` is not the present one."""
        with only_writer(self._engine), Session(self._writer, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            self._check_present(session, row, revision)
            return self._keep(session, row, build, label)

    def present(self, build_id: str, revision: int) -> Build:
        """The build as it stands. Raises NoSuchBuild, or Stale when `revision` is not the present one."""
        with Session(self._engine, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            self._check_present(session, row, revision)
            return self._build(session, row.head_id)

    def undo(self, build_id: str, revision: int) -> Opened:
        """Go back to the revision before. Raises NothingToDo at the first, Stale as `edit` does."""
        return self._move(build_id, revision, self.before(build_id, revision))

    def redo(self, build_id: str, revision: int) -> Opened:
        """Go on to the newest revision that followed. Raises NothingToDo at the last, Stale as `edit` does."""
        return self._move(build_id, revision, self.after(build_id, revision))

    def restore(self, build_id: str, revision: int, to: int) -> Opened:
        """Make an earlier revision the present one again, as a new revision, so that nothing is lost."""
        with only_writer(self._engine), Session(self._writer, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            self._check_present(session, row, revision)
            old = session.get(RevisionRow, to)
            if old is None or old.build_id != build_id:
                raise NoSuchBuild("This build has no such revision.")
            return self._keep(session, row, self._build(session, old.id), f"back to: {old.label}")

    def archive(self, build_id: str, archived: bool) -> None:
        """Put a build away, or take it out again."""
        with only_writer(self._engine), Session(self._writer, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            row.archived = archived
            session.add(row)
            session.commit()

    def delete(self, build_id: str) -> None:
        """Take a build out of the workshop; `undelete` brings it back."""
        with only_writer(self._engine), Session(self._writer, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            row.deleted_at = _now()
            session.add(row)
            session.commit()

    def undelete(self, build_id: str) -> None:
        """Bring a deleted build back. Raises NoSuchBuild."""
        with only_writer(self._engine), Session(self._writer, expire_on_commit=False) as session:
            row = session.get(BuildRow, build_id)
            if row is None:
                raise NoSuchBuild("There is no such build.")
            row.deleted_at = None
            session.add(row)
            session.commit()

    def forget_read(self) -> None:
        """The database is another one now: what was read of the old one is not kept."""
        with self._reading:
            self._read.clear()

    # --- settings

    def setting(self, name: str, default: str) -> str:
        """A setting of the workshop."""
        with Session(self._engine, expire_on_commit=False) as session:
            row = session.get(SettingRow, name)
            return row.value if row else default

    def set(self, name: str, value: str) -> None:
        """Keep a setting."""
        with only_writer(self._engine), Session(self._writer, expire_on_commit=False) as session:
            session.merge(SettingRow(name=name, value=value))
            session.commit()

    # --- inside

    def _row(self, session: Session, build_id: str) -> BuildRow:
        row = session.get(BuildRow, build_id)
        if row is None or row.deleted_at is not None:
            raise NoSuchBuild("There is no such build, or it was deleted.")
        return row

    def _revision(self, session: Session, revision_id: int | None) -> RevisionRow:
        found = session.get(RevisionRow, revision_id)
        if found is None:
            raise NoSuchBuild("This build has no such revision.")
        return found

    def _build(self, session: Session, revision_id: int | None) -> Build:
        """The build as it was at a revision; the last ones are not read again."""
        with self._reading:
            found = self._read.pop(revision_id or 0, None)
            if found is None:
                found = kept_build(self._revision(session, revision_id).document)
            self._remember(revision_id or 0, found)
        return found

    def _remember(self, revision_id: int, build: Build) -> None:
        self._read[revision_id] = build
        while len(self._read) > _MOST_READ:
            self._read.popitem(last=False)

    def _following(self, session: Session, revision_id: int | None) -> tuple[int | None, str] | None:
        """Id and label of the newest revision that followed one; its document is not read."""
        return session.exec(
            select(RevisionRow.id, RevisionRow.label)
            .where(RevisionRow.parent_id == revision_id)
            .order_by(col(RevisionRow.id).desc())
        ).first()

    def _opened(self, session: Session, row: BuildRow, build: Build | None = None) -> Opened:
        head = session.exec(
            select(RevisionRow.id, RevisionRow.parent_id, RevisionRow.label).where(RevisionRow.id == row.head_id)
        ).first()
        if head is None:
            raise UnreadableBuild("The present state of this build is lost: bring an earlier one back.")
        number, parent, label = head
        following = self._following(session, number)
        return Opened(
            id=row.id,
            build=build or self._build(session, number),
            revision=number or 0,
            archived=row.archived,
            undoes=label if parent is not None else None,
            redoes=following[1] if following else None,
        )

    def _check_present(self, session: Session, row: BuildRow, revision: int) -> None:
        if (row.head_id or 0) == revision:
            return
        if session.get(RevisionRow, revision) is None:
            raise Stale(row.head_id or 0, ["the workshop was replaced by a backup"])
        newest = session.exec(select(func.max(RevisionRow.id)).where(RevisionRow.build_id == row.id)).one() or 0
        since = session.exec(
            select(RevisionRow)
            .where(RevisionRow.build_id == row.id, col(RevisionRow.id) > revision, col(RevisionRow.id) <= newest)
            .order_by(col(RevisionRow.id))
        ).all()
        changed = [one.label for one in since] or ["an earlier state was brought back"]
        raise Stale(row.head_id or 0, changed)

    def _keep(self, session: Session, row: BuildRow, build: Build, label: str) -> Opened:
        newest = session.exec(select(func.max(RevisionRow.id)).where(col(RevisionRow.id) <= LARGEST)).one() or 0
        revision = RevisionRow(
            id=newest + 1,
            build_id=row.id,
            parent_id=row.head_id,
            label=label[:200],
            made_at=_now(),
            document=build.model_dump_json(),
        )
        session.add(revision)
        session.flush()
        self._point(row, revision.id, build)
        session.add(row)
        session.commit()
        with self._reading:
            self._remember(revision.id or 0, build)
        self._told(row.id, revision.id or 0)
        return Opened(
            id=row.id,
            build=build,
            revision=revision.id or 0,
            archived=row.archived,
            undoes=revision.label if revision.parent_id is not None else None,
            redoes=None,
        )

    def _move(self, build_id: str, revision: int, to: int) -> Opened:
        with only_writer(self._engine), Session(self._writer, expire_on_commit=False) as session:
            row = self._row(session, build_id)
            self._check_present(session, row, revision)
            self._point(row, to, self._build(session, to))
            session.add(row)
            session.commit()
            self._told(row.id, to)
            return self._opened(session, row)

    def _point(self, row: BuildRow, revision_id: int | None, build: Build) -> None:
        row.head_id, row.name, row.needed_on = revision_id, build.brief.name, build.brief.needed_on


def _listed(row: BuildRow) -> Listed:
    return Listed(
        id=row.id,
        name=row.name or "(without a name)",
        needed_on=row.needed_on,
        archived=row.archived,
        revision=row.head_id or 0,
    )


def kept_build(document: str) -> Build:
    """A state of a build as it is kept. Raises UnreadableBuild."""
    try:
        kept = json.loads(document)
        if kept["format"] != FORMAT:
            raise ValueError
        return read_build(kept, stored=True)
    except ValidationError as error:
        fault = faults(error)[0]
        raise UnreadableBuild(f"This state of the build can't be read. At {fault.at}: {fault.sentence}") from error
    except (ValueError, TypeError, KeyError, RecursionError) as error:
        raise UnreadableBuild("This state of the build can't be read: what was kept of it is damaged.") from error


def _now() -> datetime.datetime:
    return datetime.datetime.now(datetime.UTC)
