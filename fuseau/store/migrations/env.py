"""Alembic's entry: runs on the connection that `opening` hands over, each migration in a transaction of its own."""

from alembic import context

connection = context.config.attributes["connection"]
context.configure(
    connection=connection,
    render_as_batch=True,
    transactional_ddl=True,  # SQLite's is, once Python does not commit before it
    transaction_per_migration=True,
)
with context.begin_transaction():
    context.run_migrations()
