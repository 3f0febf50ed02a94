"""The trade: its records and its arithmetic. Knows no web, no database, no files and no clock."""
