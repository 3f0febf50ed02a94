"""The book of wearers with their measurings, and the pictures of briefs."""

import sqlalchemy as sa
from alembic import op

revision = "0003"
down_revision = "0002"


def upgrade() -> None:
    op.create_table(
        "wearer",
        sa.Column("id", sa.String(32), primary_key=True),
        sa.Column("name", sa.String, nullable=False, index=True),
        sa.Column("deleted_at", sa.DateTime),
    )
    op.create_table(
        "measuring",
        sa.Column("id", sa.String(32), primary_key=True),
        sa.Column("wearer_id", sa.String(32), sa.ForeignKey("wearer.id"), nullable=False, index=True),
        sa.Column("taken_on", sa.Date, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
        sa.Column("document", sa.Text, nullable=False),
    )
    op.create_table(
        "picture",
        sa.Column("id", sa.String(64), primary_key=True),
        sa.Column("media", sa.String(40), nullable=False),
        sa.Column("width_px", sa.Integer, nullable=False),
        sa.Column("height_px", sa.Integer, nullable=False),
        sa.Column("content", sa.LargeBinary, nullable=False),
    )
