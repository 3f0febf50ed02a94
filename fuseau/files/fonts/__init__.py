"""The fonts that are shipped: embedded in prints, and served to pages on which names need them.

DejaVu and most of Noto Sans are as published. Noto Sans SC and KR are cut by ranges of signs, with fontTools (no hints,
no features, which upright text in a line does not need), so that a page asks for what it shows.
"""

from pathlib import Path

FOLDER = Path(__file__).parent
# What stands behind DejaVu, which has Latin, Greek, Cyrillic, Armenian, Georgian, Hebrew, Arabic, Lao and arrows: for
# which signs each is asked, on paper and on pages.
RANGES: dict[str, tuple[tuple[int, int], ...]] = {
    "NotoSansDevanagari": ((0x0900, 0x097F), (0xA8E0, 0xA8FF)),
    "NotoSansBengali": ((0x0980, 0x09FF),),
    "NotoSansGurmukhi": ((0x0A00, 0x0A7F),),
    "NotoSansGujarati": ((0x0A80, 0x0AFF),),
    "NotoSansTamil": ((0x0B80, 0x0BFF),),
    "NotoSansTelugu": ((0x0C00, 0x0C7F),),
    "NotoSansKannada": ((0x0C80, 0x0CFF),),
    "NotoSansMalayalam": ((0x0D00, 0x0D7F),),
    "NotoSansSinhala": ((0x0D80, 0x0DFF),),
    "NotoSansThai": ((0x0E00, 0x0E7F),),
    "NotoSansMyanmar": ((0x1000, 0x109F), (0xA9E0, 0xA9FF), (0xAA60, 0xAA7F)),
    "NotoSansEthiopic": ((0x1200, 0x139F), (0x2D80, 0x2DDF), (0xAB00, 0xAB2F)),
    "NotoSansKhmer": ((0x1780, 0x17FF), (0x19E0, 0x19FF)),
    "NotoSansSC-1": ((0x2E80, 0x312F), (0x31A0, 0x33FF), (0x4E00, 0x5FFF), (0xFE30, 0xFE4F), (0xFF00, 0xFFEF)),
    "NotoSansSC-2": ((0x6000, 0x75FF),),
    "NotoSansSC-3": ((0x7600, 0x8BFF),),
    "NotoSansSC-4": ((0x8C00, 0x9FFF), (0xF900, 0xFAFF)),
    "NotoSansSC-5": ((0x3400, 0x4DBF), (0x1B000, 0x1B2FF), (0x20000, 0x3134F)),
    "NotoSansKR": ((0x1100, 0x11FF), (0x3130, 0x318F), (0xA960, 0xA97F), (0xAC00, 0xD7FF)),
}
BOLDER = {"NotoSansDevanagari": "NotoSansDevanagari-Bold"}
