"""Settings of the workshop."""

import sqlalchemy as sa
from alembic import op

revision = "0002"
down_revision = "0001"


def upgrade() -> None:
    op.create_table(
        "setting",
        sa.Column("name", sa.String(40), primary_key=True),
        sa.Column("value", sa.String, nullable=False),
    )
