"""What must not hurt, for ten minutes; `python -m bench.stress`."""
