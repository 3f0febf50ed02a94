"""The workshop's shelf; what builds had set aside for themselves is put on it, and kept for them."""

import datetime
import json

import sqlalchemy as sa
from alembic import op

from fuseau.document.shelf import brought_over

revision = "0004"
down_revision = "0003"


def upgrade() -> None:
    op.create_table(
        "shelf_state",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("parent_id", sa.Integer, sa.ForeignKey("shelf_state.id"), index=True),
        sa.Column("label", sa.String, nullable=False),
        sa.Column("made_at", sa.DateTime, nullable=False),
        sa.Column("document", sa.Text, nullable=False),
    )
    op.create_table(
        "shelf",
        sa.Column("id", sa.Integer, primary_key=True),
        sa.Column("head_id", sa.Integer, sa.ForeignKey("shelf_state.id")),
    )
    _bring_over()


def _bring_over() -> None:
    pieces: list[dict[str, object]] = []
    reserved: list[dict[str, object]] = []
    rows = op.get_bind().execute(
        sa.text("select b.id, r.document from build b join revision r on r.id = b.head_id where b.deleted_at is null")
    )
    for build, document in rows:
        try:
            data = json.loads(document)
        except ValueError:
            continue
        found, kept = brought_over(data, build) if isinstance(data, dict) else ([], [])
        for piece, one in zip(found, kept, strict=True):
            number = f"s{len(pieces) + 1}"
            pieces.append({**piece, "id": number})
            reserved.append({**one, "stock": number})
    if not pieces:
        return
    shelf = {"format": "fuseau.shelf", "version": 1, "pieces": pieces, "reserved": reserved, "numbered": len(pieces)}
    connection = op.get_bind()
    connection.execute(
        sa.text("insert into shelf_state (id, label, made_at, document) values (1, :label, :at, :document)"),
        {
            "label": "brought over from the builds",
            "at": datetime.datetime.now(datetime.UTC).isoformat(sep=" "),
            "document": json.dumps(shelf),
        },
    )
    connection.execute(sa.text("insert into shelf (id, head_id) values (1, 1)"))
