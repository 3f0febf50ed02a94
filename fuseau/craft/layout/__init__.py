"""Cloth on the table: every piece that is cut, strips and bindings, and how they lie (model, section 11)."""
