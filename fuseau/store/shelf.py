"""The workshop's shelf in the database: one document, every change a state that stays, undo and redo."""

import datetime
import json
from collections.abc import Callable
from dataclasses import dataclass

from sqlalchemy import Engine, func
from sqlmodel import Session, col, select

from fuseau.craft.base.errors import Unmakeable
from fuseau.document.shelf import Shelf, read_shelf
from fuseau.store.opening import only_writer, writing
from fuseau.store.tables import ShelfRow, ShelfStateRow
from fuseau.store.workshop import NothingToDo, Stale


@dataclass(frozen=True)
class ShelfOpened:
    """The shelf with its place in its history; `damaged` where it is the newest that can be read, not the last kept."""

    shelf: Shelf
    revision: int
    undoes: str | None
    redoes: str | None
    damaged: bool = False


class ShelfStore:
    """The shelf in one database. One writer at a time."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._writer = writing(engine)
        self._read: tuple[int, Shelf] | None = None

    def open(self) -> ShelfOpened:
        """The shelf as it stands; an empty one where nothing was put on it yet."""
        with Session(self._engine) as session:
            return self._opened(session)

    def edit(self, step: Callable[[Shelf], Shelf], label: str, revision: int | None = None) -> ShelfOpened:
        """Keep the shelf as `step` leaves it; a step that changes nothing keeps nothing.

        Raises Stale where `revision` is given and is not the present one, or what `step` raises.
        """
        with only_writer(self._engine), Session(self._writer) as session:
            at = self._head(session)
            self._check(session, at, revision)
            before = self._shelf(session, at)
            after = step(before)
            if after == before:
                return self._opened(session)
            row = ShelfStateRow(
                parent_id=at or None,
                label=label[:200],
                made_at=datetime.datetime.now(datetime.UTC),
                document=after.model_dump_json(),
            )
            session.add(row)
            session.flush()
            self._point(session, row.id or 0)
            session.commit()
            self._read = (row.id or 0, after)
            return self._opened(session)

    def undo(self, revision: int | None = None) -> ShelfOpened:
        """Go back to the state before.

        Raises NothingToDo at the first, Unmakeable where something was cut or put back with it, Stale.
        """
        return self._move(revision, self._before)

    def redo(self, revision: int | None = None) -> ShelfOpened:
        """Go on to the newest state that followed. Raises NothingToDo at the last, else as `undo` does."""
        return self._move(revision, self._after)

    def take_back(self) -> ShelfOpened:
        """Go back to the state before, since what it was done for did not come about."""
        return self._move(None, self._before, cut=True)

    def _move(self, revision: int | None, to: Callable[[Session, int], int], cut: bool = False) -> ShelfOpened:
        with only_writer(self._engine), Session(self._writer) as session:
            at = self._head(session)
            self._check(session, at, revision)
            wanted = to(session, at)
            if not cut and self._shelf(session, wanted).cuts != self._shelf(session, at).cuts:
                raise Unmakeable("cut", "shelf.cut_there")
            self._point(session, wanted)
            session.commit()
            return self._opened(session)

    def _before(self, session: Session, at: int) -> int:
        row = session.get(ShelfStateRow, at)
        if row is None:
            raise NothingToDo("Nothing was done to the shelf that could be undone.")
        return row.parent_id or 0

    def _after(self, session: Session, at: int) -> int:
        following = self._following(session, at)
        if following is None:
            raise NothingToDo("Nothing was undone that could be done again.")
        return following.id or 0

    def forget_read(self) -> None:
        """The database is another one now."""
        self._read = None

    # --- inside

    def _head(self, session: Session) -> int:
        """The state that is present: the newest that can be read, where the one that should be is damaged."""
        wanted = self._wanted(session)
        if wanted == 0 or self._read_state(session, wanted or -1) is not None:
            return wanted or 0
        states = select(ShelfStateRow.id).order_by(col(ShelfStateRow.id).desc())
        return next((at for at in session.exec(states) if at and self._read_state(session, at) is not None), 0)

    def _wanted(self, session: Session) -> int | None:
        """The state that was made the present one; 0 for an empty shelf, None where that is damaged."""
        row = session.get(ShelfRow, 1)
        if row is None:
            return 0 if session.exec(select(ShelfStateRow.id)).first() is None else None
        kept = session.exec(select(func.typeof(col(ShelfRow.head_id))).where(ShelfRow.id == 1)).first()
        return 0 if kept == "null" else row.head_id

    def _point(self, session: Session, at: int) -> None:
        session.merge(ShelfRow(id=1, head_id=at or None))

    def _check(self, session: Session, at: int, revision: int | None) -> None:
        if revision is None or revision == at:
            return
        if revision and session.get(ShelfStateRow, revision) is None:
            raise Stale(at, ["the workshop was replaced by a backup"])
        since = session.exec(
            select(ShelfStateRow.label).where(col(ShelfStateRow.id) > revision).order_by(col(ShelfStateRow.id))
        ).all()
        raise Stale(at, list(since) or ["an earlier state was brought back"])

    def _following(self, session: Session, at: int) -> ShelfStateRow | None:
        return session.exec(
            select(ShelfStateRow).where(ShelfStateRow.parent_id == (at or None)).order_by(col(ShelfStateRow.id).desc())
        ).first()

    def _shelf(self, session: Session, at: int) -> Shelf:
        if not at:
            return Shelf()
        shelf = self._read_state(session, at)
        if shelf is None:
            raise NothingToDo("That state is damaged: it can't be brought back.")
        return shelf

    def _read_state(self, session: Session, at: int) -> Shelf | None:
        """A state of the shelf; None for one that is damaged or lost."""
        if self._read is None or self._read[0] != at:
            row = session.get(ShelfStateRow, at)
            try:
                self._read = at, read_shelf(json.loads(row.document if row else ""), stored=True)
            except (ValueError, RecursionError):
                return None
        return self._read[1]

    def _opened(self, session: Session) -> ShelfOpened:
        at = self._head(session)
        row = session.get(ShelfStateRow, at) if at else None
        damaged = at != self._wanted(session)
        following = None if damaged else self._following(session, at)
        return ShelfOpened(
            shelf=self._shelf(session, at),
            revision=at,
            undoes=row.label if row else None,
            redoes=following.label if following else None,
            damaged=damaged,
        )
