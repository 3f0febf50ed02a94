"""Tables of the workshop's database."""

import datetime

from sqlmodel import Field, SQLModel


class BuildRow(SQLModel, table=True):
    """A build: where it stands in the workshop, and which of its revisions is the present one."""

    __tablename__ = "build"

    id: str = Field(primary_key=True, max_length=32)
    name: str = Field(index=True)
    needed_on: datetime.date | None = None
    created_at: datetime.datetime
    archived: bool = False
    deleted_at: datetime.datetime | None = None
    head_id: int | None = None


class RevisionRow(SQLModel, table=True):
    """A build as it was after one change. Revisions are never altered; undo and redo only move the head."""

    __tablename__ = "revision"

    id: int | None = Field(default=None, primary_key=True)
    build_id: str = Field(foreign_key="build.id", index=True)
    parent_id: int | None = Field(default=None, foreign_key="revision.id", index=True)
    label: str
    made_at: datetime.datetime
    document: str


class CardRow(SQLModel, table=True):
    """What is kept of a build at a revision to be found again; made anew whenever it is of an older one or form."""

    __tablename__ = "card"

    build_id: str = Field(primary_key=True, foreign_key="build.id")
    revision: int
    form: int
    document: str


class SettingRow(SQLModel, table=True):
    """One setting of the workshop, such as its unit."""

    __tablename__ = "setting"

    name: str = Field(primary_key=True, max_length=40)
    value: str


class WearerRow(SQLModel, table=True):
    """A wearer in the workshop's book."""

    __tablename__ = "wearer"

    id: str = Field(primary_key=True, max_length=32)
    name: str = Field(index=True)
    deleted_at: datetime.datetime | None = None


class MeasuringRow(SQLModel, table=True):
    """A wearer's measures as they were on one day. Never altered; measuring again makes another."""

    __tablename__ = "measuring"

    id: str = Field(primary_key=True, max_length=32)
    wearer_id: str = Field(foreign_key="wearer.id", index=True)
    taken_on: datetime.date
    made_at: datetime.datetime
    document: str


class PictureRow(SQLModel, table=True):
    """A picture, kept once under the hash of its bytes."""

    __tablename__ = "picture"

    id: str = Field(primary_key=True, max_length=64)
    media: str = Field(max_length=40)
    width_px: int
    height_px: int
    content: bytes


class ShelfStateRow(SQLModel, table=True):
    """The shelf as it was after one change. Never altered; undo and redo only move the head."""

    __tablename__ = "shelf_state"

    id: int | None = Field(default=None, primary_key=True)
    parent_id: int | None = Field(default=None, foreign_key="shelf_state.id", index=True)
    label: str
    made_at: datetime.datetime
    document: str


class ShelfRow(SQLModel, table=True):
    """The workshop's one shelf: which of its states is the present one."""

    __tablename__ = "shelf"

    id: int = Field(primary_key=True)
    head_id: int | None = Field(default=None, foreign_key="shelf_state.id")
