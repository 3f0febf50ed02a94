"""Her figure, bare, padded and laced, and the garment as a surface on it."""
