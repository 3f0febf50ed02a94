"""Trims along lines and over areas, flossing, and what hangs from the garment (model, section 15)."""
