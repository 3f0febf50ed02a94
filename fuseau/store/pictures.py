"""Pictures of briefs, kept once each under the hash of their bytes."""

from dataclasses import dataclass

from sqlalchemy import Engine
from sqlmodel import Session, select

from fuseau.store.opening import only_writer, writing
from fuseau.store.tables import PictureRow


@dataclass(frozen=True)
class KeptPicture:
    """A picture as kept: its hash, media type, size in pixels and bytes."""

    id: str
    media: str
    width_px: int
    height_px: int
    content: bytes


class Pictures:
    """All pictures in one database."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine
        self._writer = writing(engine)

    def keep(self, picture: KeptPicture) -> None:
        """Keep a picture; one that is there already stays as it is."""
        with only_writer(self._engine), Session(self._writer) as session:
            session.merge(PictureRow(**picture.__dict__))
            session.commit()

    def ids(self) -> frozenset[str]:
        """The hashes of all pictures that are here."""
        with Session(self._engine) as session:
            return frozenset(session.exec(select(PictureRow.id)).all())

    def open(self, picture_id: str) -> KeptPicture | None:
        """A picture by its hash, if it is there."""
        with Session(self._engine) as session:
            row = session.get(PictureRow, picture_id)
            return (
                KeptPicture(
                    id=row.id, media=row.media, width_px=row.width_px, height_px=row.height_px, content=row.content
                )
                if row
                else None
            )
