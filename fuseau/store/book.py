"""The book of wearers: who was measured, when, and with what measures. Kept apart from the builds."""

import datetime
import uuid
from dataclasses import dataclass

from pydantic import ValidationError
from sqlalchemy import Engine
from sqlmodel import Session, col, select

from fuseau.craft.wearer.measures import Wearer
from fuseau.store.opening import only_writer, writing
from fuseau.store.tables import MeasuringRow, WearerRow

_NEWEST_FIRST = col(MeasuringRow.taken_on).desc(), col(MeasuringRow.made_at).desc()


class NotInTheBook(LookupError):
    """There is no such wearer or measuring, or it was deleted."""


@dataclass(frozen=True)
class Measuring:
    """One measuring of a wearer."""

    id: str
    wearer_id: str
    taken_on: datetime.date
    wearer: Wearer


@dataclass(frozen=True)
class Taken:
    """When a measuring was taken."""

    id: str
    taken_on: datetime.date


@dataclass(frozen=True)
class InTheBook:
    """A wearer with her measurings, newest first, and how many others can't be read any more."""

    id: str
    name: str
    measurings: tuple[Measuring, ...]
    damaged: int = 0


class Book:
    """Wearers and their measurings in one database."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._writer = writing(engine)

    def wearers(self) -> list[InTheBook]:
        """Everyone in the book, by name."""
        with Session(self._engine) as session:
            rows = session.exec(
                select(WearerRow).where(col(WearerRow.deleted_at).is_(None)).order_by(col(WearerRow.name))
            ).all()
            return [self._entry(session, row) for row in rows]

    def measuring(self, measuring_id: str) -> Measuring:
        """One measuring. Raises NotInTheBook."""
        with Session(self._engine) as session:
            row = session.get(MeasuringRow, measuring_id)
            if row is None or self._wearer(session, row.wearer_id) is None:
                raise NotInTheBook("These measures are not in the book any more.")
            measuring = _read(row)
            if measuring is None:
                raise NotInTheBook("What was kept of these measures is damaged: measure her again.")
            return measuring

    def newest(self, wearer_id: str) -> Taken | None:
        """The newest measuring of a wearer, if she is in the book; its measures are not read."""
        with Session(self._engine) as session:
            found = session.exec(
                select(col(MeasuringRow.id), col(MeasuringRow.taken_on))
                .join(WearerRow, col(WearerRow.id) == MeasuringRow.wearer_id)
                .where(MeasuringRow.wearer_id == wearer_id, col(WearerRow.deleted_at).is_(None))
                .order_by(*_NEWEST_FIRST)
                .limit(1)
            ).first()
            return Taken(*found) if found and found[1] else None

    def write_down(self, wearer: Wearer, taken_on: datetime.date, wearer_id: str | None = None) -> Measuring:
        """Keep measures as a new measuring: of `wearer_id`, else of the wearer of that name, else of a new one."""
        with only_writer(self._engine), Session(self._writer) as session:
            row = self._wearer(session, wearer_id) if wearer_id else None
            if row is None:
                named = select(WearerRow).where(col(WearerRow.name) == wearer.name, col(WearerRow.deleted_at).is_(None))
                row = session.exec(named).first()
            if row is None:
                row = WearerRow(id=uuid.uuid4().hex[:12], name=wearer.name)
            row.name = wearer.name
            session.add(row)
            session.flush()
            made = MeasuringRow(
                id=uuid.uuid4().hex[:12],
                wearer_id=row.id,
                taken_on=taken_on,
                made_at=datetime.datetime.now(datetime.UTC),
                document=wearer.model_dump_json(),
            )
            session.add(made)
            session.commit()
            return Measuring(made.id, row.id, taken_on, wearer)

    def delete(self, wearer_id: str, deleted: bool = True) -> None:
        """Take a wearer out of the book, or bring her back. Raises NotInTheBook."""
        with only_writer(self._engine), Session(self._writer) as session:
            row = session.get(WearerRow, wearer_id)
            if row is None:
                raise NotInTheBook("There is no such wearer in the book.")
            row.deleted_at = datetime.datetime.now(datetime.UTC) if deleted else None
            session.add(row)
            session.commit()

    def _wearer(self, session: Session, wearer_id: str) -> WearerRow | None:
        row = session.get(WearerRow, wearer_id)
        return row if row is not None and row.deleted_at is None else None

    def _entry(self, session: Session, row: WearerRow) -> InTheBook:
        here = select(MeasuringRow).where(MeasuringRow.wearer_id == row.id)
        read = [_read(kept) for kept in session.exec(here.order_by(*_NEWEST_FIRST)).all()]
        whole = tuple(measuring for measuring in read if measuring is not None)
        return InTheBook(row.id, row.name or "(without a name)", whole, len(read) - len(whole))


def _read(row: MeasuringRow) -> Measuring | None:
    """A measuring as it is kept; None where its day or its measures are damaged."""
    try:
        wearer = Wearer.model_validate_json(row.document)
    except ValidationError:
        return None
    return Measuring(row.id, row.wearer_id, row.taken_on, wearer) if row.taken_on else None
