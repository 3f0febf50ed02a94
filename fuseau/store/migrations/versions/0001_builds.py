"""Builds and their revisions."""

import sqlalchemy as sa
from alembic import op

revision = "0001"
down_revision = None


def upgrade() -> None:
    op.create_table(
        "build",
        sa.Column("id", sa.String(32), primary_key=True),
        sa.Column("name", sa.String, nullable=False, index=True),
        sa.Column("needed_on", sa.Date),
        sa.Column("created_at", sa.DateTime, nullable=False),
        sa.Column("archived", sa.Boolean, nullable=False, server_default=sa.false()),
        sa.Column("deleted_at", sa.DateTime),
        sa.Column("head_id", sa.Integer),
    )
    op.create_table(
        "revision",
        sa.Column("id", sa.Integer, primary_key=True, autoincrement=True),
        sa.Column("build_id", sa.String(32), sa.ForeignKey("build.id"), nullable=False, index=True),
        sa.Column("parent_id", sa.Integer, sa.ForeignKey("revision.id"), index=True),
        sa.Column("label", sa.String, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
        sa.Column("document", sa.Text, nullable=False),
    )
