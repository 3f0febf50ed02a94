"""The garment as it lies flat and as it is laced: its halves, its lacing, its fit on a body."""
