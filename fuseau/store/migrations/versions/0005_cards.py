"""The box of cards: what is kept of each build at its present revision."""

import sqlalchemy as sa
from alembic import op

revision = "0005"
down_revision = "0004"


def upgrade() -> None:
    op.create_table(
        "card",
        sa.Column("build_id", sa.String(32), sa.ForeignKey("build.id"), primary_key=True),
        sa.Column("revision", sa.Integer, nullable=False),
        sa.Column("form", sa.Integer, nullable=False),
        sa.Column("document", sa.Text, nullable=False),
    )
