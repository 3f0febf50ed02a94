"""The fonts that are shipped: embedded in prints, and served to pages on which names need them."""

from pathlib import Path

FOLDER = Path(__file__).parent
