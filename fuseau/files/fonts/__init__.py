"""The fonts that are shipped: embedded in prints, and served to pages on which names need them.

DejaVu and Noto Sans Devanagari are as published. Noto Sans SC and KR are cut by ranges of signs, with fontTools
(no hints, no features, which upright text in a line does not need), so that a page asks for what it shows.
"""

from pathlib import Path

FOLDER = Path(__file__).parent
