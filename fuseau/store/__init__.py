"""The maker's data: SQLModel over SQLite, migrated by Alembic, with the history of every build."""
