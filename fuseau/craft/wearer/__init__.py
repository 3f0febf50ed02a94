"""The wearer as measured, the body as believed, how it gives, and the kinds of garment it wears."""
