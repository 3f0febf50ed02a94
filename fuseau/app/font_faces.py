"""The style sheet that lets pages show names in her scripts: the fonts of the prints, asked for by their signs."""

from fuseau.files.fonts import BOLDER, RANGES

FAMILY = "Fuseau Names"  # as the interface's own style sheet names it, behind its typeface
SHEET = "fonts/names.css"
# What the typeface of the interface has not, and DejaVu has: Armenian, Hebrew, Arabic, Lao, Georgian.
_DEJAVU = ((0x0530, 0x06FF), (0x0750, 0x077F), (0x0E80, 0x0EFF), (0x10A0, 0x10FF), (0xFB13, 0xFDFF), (0xFE70, 0xFEFC))


def font_faces() -> str:
    """One family of many fonts: a browser asks for those whose signs stand on the page, and for no other.

    >>> "U+0E00-0E7F" in font_faces()
    True
    """
    faces = [_face("DejaVuSans", "400", _DEJAVU), _face("DejaVuSans-Bold", "700", _DEJAVU)]
    for name, ranges in RANGES.items():
        bolder = BOLDER.get(name)
        faces.append(_face(name, "400" if bolder else "400 700", ranges))
        if bolder:
            faces.append(_face(bolder, "700", ranges))
    return "\n".join(faces)


def _face(name: str, weight: str, ranges: tuple[tuple[int, int], ...]) -> str:
    asked = ", ".join(f"U+{low:04X}-{high:04X}" for low, high in ranges)
    return (
        f"@font-face {{ font-family: '{FAMILY}'; src: url('/fonts/{name}.ttf') format('truetype'); "
        f"font-weight: {weight}; font-display: swap; unicode-range: {asked}; }}"
    )
