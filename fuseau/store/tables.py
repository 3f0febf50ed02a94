"""Tables of the workshop's database."""

import datetime

from sqlmodel import Field, SQLModel

from fuseau.store.kept import Bytes, Day, Flag, Moment, Number, Text


class BuildRow(SQLModel, table=True):
    """A build: where it stands in the workshop, and which of its revisions is the present one."""

    __tablename__ = "build"

    id: str = Field(primary_key=True, sa_type=Text)
    name: str = Field(index=True, sa_type=Text)
    needed_on: datetime.date | None = Field(default=None, sa_type=Day)
    created_at: datetime.datetime = Field(sa_type=Moment)
    archived: bool = Field(default=False, sa_type=Flag)
    deleted_at: datetime.datetime | None = Field(default=None, sa_type=Moment)
    head_id: int | None = Field(default=None, sa_type=Number)


class RevisionRow(SQLModel, table=True):
    """A build as it was after one change. Revisions are never altered; undo and redo only move the head."""

    __tablename__ = "revision"

    id: int | None = Field(default=None, primary_key=True)
    build_id: str = Field(foreign_key="build.id", index=True, sa_type=Text)
    parent_id: int | None = Field(default=None, foreign_key="revision.id", index=True, sa_type=Number)
    label: str = Field(sa_type=Text)
    made_at: datetime.datetime = Field(sa_type=Moment)
    document: str = Field(sa_type=Text)


class CardRow(SQLModel, table=True):
    """What is kept of a build at a revision to be found again; made anew whenever it is of an older one or form."""

    __tablename__ = "card"

    build_id: str = Field(primary_key=True, foreign_key="build.id", sa_type=Text)
    revision: int = Field(sa_type=Number)
    form: int = Field(sa_type=Number)
    document: str = Field(sa_type=Text)


class SettingRow(SQLModel, table=True):
    """One setting of the workshop, such as its unit."""

    __tablename__ = "setting"

    name: str = Field(primary_key=True, sa_type=Text)
    value: str = Field(sa_type=Text)


class WearerRow(SQLModel, table=True):
    """A wearer in the workshop's book."""

    __tablename__ = "wearer"

    id: str = Field(primary_key=True, sa_type=Text)
    name: str = Field(index=True, sa_type=Text)
    deleted_at: datetime.datetime | None = Field(default=None, sa_type=Moment)


class MeasuringRow(SQLModel, table=True):
    """A wearer's measures as they were on one day. Never altered; measuring again makes another."""

    __tablename__ = "measuring"

    id: str = Field(primary_key=True, sa_type=Text)
    wearer_id: str = Field(foreign_key="wearer.id", index=True, sa_type=Text)
    taken_on: datetime.date = Field(sa_type=Day)
    made_at: datetime.datetime = Field(sa_type=Moment)
    document: str = Field(sa_type=Text)


class PictureRow(SQLModel, table=True):
    """A picture, kept once under the hash of its bytes."""

    __tablename__ = "picture"

    id: str = Field(primary_key=True, sa_type=Text)
    media: str = Field(sa_type=Text)
    width_px: int = Field(sa_type=Number)
    height_px: int = Field(sa_type=Number)
    content: bytes = Field(sa_type=Bytes)


class ShelfStateRow(SQLModel, table=True):
    """The shelf as it was after one change. Never altered; undo and redo only move the head."""

    __tablename__ = "shelf_state"

    id: int | None = Field(default=None, primary_key=True)
    parent_id: int | None = Field(default=None, foreign_key="shelf_state.id", index=True, sa_type=Number)
    label: str = Field(sa_type=Text)
    made_at: datetime.datetime = Field(sa_type=Moment)
    document: str = Field(sa_type=Text)


class ShelfRow(SQLModel, table=True):
    """The workshop's one shelf: which of its states is the present one."""

    __tablename__ = "shelf"

    id: int = Field(primary_key=True)
    head_id: int | None = Field(default=None, foreign_key="shelf_state.id", sa_type=Number)
