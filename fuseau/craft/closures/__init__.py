"""What opens and closes: front, back, lacing, and getting in."""
