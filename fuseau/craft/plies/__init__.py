"""The plies of a garment, from the skin out: what each is, how it is mounted, and what follows (model, section 10)."""
