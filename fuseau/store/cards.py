"""The box of cards in the database: a line for each build, as it was at one of its revisions."""

from contextlib import suppress
from dataclasses import dataclass

from sqlalchemy import Engine
from sqlalchemy.exc import SQLAlchemyError
from sqlmodel import Session, col, select

from fuseau.store.opening import UnusableDatabase, only_writer, writing
from fuseau.store.tables import BuildRow, CardRow


@dataclass(frozen=True)
class KeptCard:
    """What is kept of a build: `document` None where nothing is, or what is kept is of another revision or form."""

    build_id: str
    revision: int
    document: str | None


class Cards:
    """The box of cards of one database. What is kept can be made anew at any time: it is never the only copy."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._writer = writing(engine)

    def all(self, form: int, but: frozenset[tuple[str, int]] = frozenset()) -> list[KeptCard]:
        """Every build that is not deleted, put away or not, with what is kept of its present revision.

        Of those in `but`, by id and revision, the document is not read.
        """
        with Session(self._engine) as session:
            rows = session.exec(
                select(BuildRow.id, BuildRow.head_id, CardRow.revision, CardRow.form)
                .join(CardRow, col(CardRow.build_id) == col(BuildRow.id), isouter=True)
                .where(col(BuildRow.deleted_at).is_(None))
                .order_by(col(BuildRow.created_at))
            ).all()
            wanted = [
                build_id
                for build_id, head, revision, kept in rows
                if revision == head and kept == form and (build_id, head or 0) not in but
            ]
            documents: dict[str, str] = {}
            for i in range(0, len(wanted), 500):
                part = select(CardRow.build_id, CardRow.document).where(col(CardRow.build_id).in_(wanted[i : i + 500]))
                documents.update(session.exec(part).all())
            return [KeptCard(build_id, head or 0, documents.get(build_id)) for build_id, head, _, _ in rows]

    def keep(self, build_id: str, revision: int, form: int, document: str) -> None:
        """Keep what a build is found by; what can't be kept now, since the disk is full, is made anew another time."""
        with suppress(SQLAlchemyError, UnusableDatabase), only_writer(self._engine), Session(self._writer) as session:
            session.merge(CardRow(build_id=build_id, revision=revision, form=form, document=document))
            session.commit()
