"""The garment on her body, and what is worn with it."""
