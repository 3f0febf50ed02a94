"""Text on paper in her wearers' scripts.

ReportLab sets a string in one font, glyph by glyph, in the order in which it is stored. A name may need several fonts,
joined letters, and to be read from the right. So a typeface here is a font with others behind it; the order of the
signs is Unicode's (python-bidi, UAX 9), their shapes and places are HarfBuzz's. Text that needs none of that is set as
ReportLab sets it.
"""

import unicodedata
from functools import cache, lru_cache
from itertools import groupby
from threading import Lock
from typing import Any

import uharfbuzz
from bidi import algorithm as bidi
from bidi.mirror import MIRRORED
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import ShapeData, ShapedStr, TTFont
from reportlab.pdfgen.canvas import Canvas
from reportlab.pdfgen.textobject import PDFTextObject

from fuseau.files.fonts import BOLDER, FOLDER, RANGES

# Shipped, and embedded, so that every printer has them.
FONT, BOLD = "DejaVuSans", "DejaVuSans-Bold"
_BEHIND = {FONT: tuple(RANGES), BOLD: tuple(BOLDER.get(name, name) for name in RANGES)}
_RANGES = tuple(RANGES.values())
_PRIVATE = 0xE000
# Subsets of the fonts behind are told from its own by these numbers.
_STEP = 1 << 16
_LOADING = Lock()
_SMALLEST = 0.6  # of its size a line is set that would else be too long


class ShapedLine(ShapedStr):
    """Signs of a line from left to right, with where each stands, and which font of the typeface it is from."""

    fonts: tuple[int, ...]


class Typeface(TTFont):
    """A font with others behind it, for the signs that it has not."""

    def __init__(self, name: str, behind: tuple[str, ...]) -> None:
        super().__init__(name, FOLDER / f"{name}.ttf")
        self._behind = behind

    def font(self, number: int) -> TTFont:
        """The font itself (0), or one of those behind it."""
        return self if number == 0 else _font(self._behind[number - 1])

    def is_plain(self, text: str) -> bool:
        """Whether ReportLab sets it rightly by itself: its own signs, from left to right, none set over another."""
        return text.isascii() or all(
            ord(sign) in self.face.charToGlyph
            and not unicodedata.combining(sign)
            and unicodedata.bidirectional(sign) not in ("R", "AL", "AN", "RLE", "RLO", "RLI")
            for sign in text
        )

    def line(self, text: str) -> str:
        """The text as it is set: itself where it is plain, else a `ShapedLine`."""
        if isinstance(text, ShapedLine) or self.is_plain(text):
            return text
        return _shaped(self, unicodedata.normalize("NFC", text))

    def stringWidth(self, text: str | bytes, size: float, encoding: str = "utf8") -> float:
        """How wide it is set at this size, in points."""
        words = text.decode(encoding) if isinstance(text, bytes) else text
        line = self.line(words)
        if isinstance(line, ShapedLine):
            return float(sum(one.x_advance for one in line.__shapeData__)) * size / 1000
        return float(super().stringWidth(words, size, encoding))

    def splitString(self, text: str | bytes, doc: Any, encoding: str = "utf-8") -> list[tuple[int, bytes]]:
        """As of any TTFont; the subsets of the fonts behind have numbers of their own."""
        if not isinstance(text, ShapedLine):
            return list(super().splitString(text, doc, encoding))
        split: list[tuple[int, bytes]] = []
        for number, run in groupby(zip(text.fonts, text, strict=True), key=lambda sign: sign[0]):
            signs = "".join(sign for _, sign in run)
            parts = TTFont.splitString(self.font(number), signs, doc, encoding)
            split += [(number * _STEP + subset, part) for subset, part in parts]
        return split

    def getSubsetInternalName(self, subset: int, doc: Any) -> str:
        """As of any TTFont, over all its fonts."""
        number, own = divmod(subset, _STEP)
        return str(TTFont.getSubsetInternalName(self.font(number), own, doc))


class _Text(PDFTextObject):
    """Text that is shaped as it is written out."""

    def _formatText(self, text: str | bytes) -> str:
        font = pdfmetrics.getFont(self._fontname)
        if isinstance(font, Typeface) and isinstance(text, str):
            text = font.line(text)
        return str(super()._formatText(text))


class Page(Canvas):
    """A canvas whose text may be in any of the scripts."""

    def beginText(self, x: float = 0, y: float = 0, direction: str | None = None) -> PDFTextObject:
        """As of any canvas."""
        return _Text(self, x, y, direction=direction)

    def draw_within(self, x: float, y: float, wide: float, text: str, around: tuple[str, str] = ("", "")) -> None:
        """A text that ends in this width, points: set smaller, down to a share of its size, and then cut.

        What stands `around` it is set with it and never cut.
        """
        name, size = self._fontname, self._fontsize
        before, after = around

        def takes(text: str) -> float:
            return float(self.stringWidth(f"{before}{text}{after}", name, size))

        smallest = wide / _SMALLEST
        cut = text
        while len(cut) > 1 and takes(cut) > smallest:
            cut = (cut[:-2] if cut.endswith("…") else cut[:-1]).rstrip() + "…"
        said = f"{before}{cut}{after}"
        self.setFont(name, size * min(1.0, wide / max(takes(cut), 1.0)))
        self.drawString(x, y, said)
        self.setFont(name, size)


def fonts() -> None:
    """Register the typefaces; harmless when done before."""
    for name, behind in _BEHIND.items():
        if name not in pdfmetrics.getRegisteredFontNames():
            pdfmetrics.registerFont(Typeface(name, behind))


@cache
def _font(name: str) -> TTFont:
    """A font that stands behind, read when it is first asked for; it stays, since lines that are kept use its codes."""
    return TTFont(name, FOLDER / f"{name}.ttf")


@lru_cache(maxsize=512)
def _shaped(face: Typeface, text: str) -> ShapedLine:
    with _LOADING:
        signs: list[str] = []
        placed: list[ShapeData] = []
        numbers: list[int] = []
        for number, run, to_left in _runs(face, text):
            for sign, where in _glyphs(face.font(number), run, to_left):
                signs.append(sign)
                placed.append(where)
                numbers.append(number)
    line = ShapedLine("".join(signs), placed)
    line.fonts = tuple(numbers)
    return line


def _runs(face: Typeface, text: str) -> list[tuple[int, str, bool]]:
    """Runs of one font and one direction, from left to right as they are read: font, signs as stored, to the left.

    What is said around a name is in English, so the line as a whole runs to the right.
    """
    # UAX 9 over the line; the place of each sign is carried along
    order: dict[str, Any] = {**bidi.get_empty_storage(), "base_level": 0, "base_dir": "L"}
    bidi.get_embedding_levels(text, order)
    for place, sign in enumerate(order["chars"]):
        sign["place"] = place
        sign["type"] = sign["type"] or "ON"  # a sign that is given out later than Python's tables
    bidi.explicit_embed_and_overrides(order)
    bidi.resolve_weak_types(order, False)
    _resolve_brackets(order["chars"])
    bidi.resolve_neutral_types(order, False)
    bidi.resolve_implicit_levels(order, False)
    bidi.reorder_resolved_levels(order, False)
    seen = [(one["place"], one["level"] % 2 == 1) for one in order["chars"]]
    numbers = _fonts_of(face, text)
    runs = []
    for (number, to_left), group in groupby(seen, key=lambda one: (numbers[one[0]], one[1])):
        places = [place for place, _ in group]
        runs.append((number, "".join(text[place] for place in sorted(places)), to_left))
    return runs


def _resolve_brackets(signs: list[dict[str, Any]]) -> None:
    """Rule N0 of UAX 9, which python-bidi leaves out: a pair of brackets goes the way of what stands in it.

    It goes to the right where anything in it does; to the left where all in it does, and what comes before it too.
    """
    strong = {"L": "L", "R": "R", "AL": "R", "EN": "R", "AN": "R"}
    ways = [strong.get(sign["type"]) for sign in signs]
    for begin, end in _bracket_pairs("".join(sign["ch"] for sign in signs)):
        within = {way for way in ways[begin + 1 : end] if way}
        before = next((way for way in reversed(ways[:begin]) if way), "L")
        if within:
            way = "L" if "L" in within else before
            for place in (begin, end):
                signs[place]["type"] = ways[place] = way


def _bracket_pairs(text: str) -> list[tuple[int, int]]:
    """Places of the brackets that belong together, by their beginning."""
    pairs, opened = [], list[tuple[str, int]]()
    for place, sign in enumerate(text):
        if unicodedata.category(sign) == "Ps" and unicodedata.mirrored(sign):
            opened.append((MIRRORED.get(sign, ""), place))
        elif any(close == sign for close, _ in opened):
            while opened[-1][0] != sign:
                opened.pop()
            pairs.append((opened.pop()[1], place))
    return sorted(pairs)


def _fonts_of(face: Typeface, text: str) -> list[int]:
    """The font of each sign: itself, or one behind it; what goes on the sign before it, and a space, has that one's."""
    numbers: list[int] = []
    for sign in text:
        goes_on = unicodedata.combining(sign) or unicodedata.category(sign) in ("Mn", "Mc", "Cf")
        if numbers and (goes_on or sign == " "):
            numbers.append(numbers[-1])
            continue
        numbers.append(0 if ord(sign) in face.face.charToGlyph else _asked_for(ord(sign)))
    return numbers


def _asked_for(code: int) -> int:
    """Which of the fonts behind is asked for a sign; 0, the font itself, where none is: it draws a box then."""
    asked = (number for number, ranges in enumerate(_RANGES, start=1) if any(a <= code <= b for a, b in ranges))
    return next(asked, 0)


def _glyphs(font: TTFont, text: str, to_left: bool) -> list[tuple[str, ShapeData]]:
    """A run shaped: for each glyph a sign that stands for it in this font, and how it is placed, in 1/1000 em."""
    shaper = font.hbFont()
    buffer = uharfbuzz.Buffer()
    buffer.add_str(text)
    buffer.guess_segment_properties()
    buffer.direction = "rtl" if to_left else "ltr"
    uharfbuzz.shape(shaper, buffer)
    scale = font.pdfScale
    glyphs = []
    for info, at in zip(buffer.glyph_infos, buffer.glyph_positions, strict=True):
        wide = scale(shaper.get_glyph_h_advance(info.codepoint))
        known = font.face.glyphToChar.get(info.codepoint)
        code = known[0] if known else _stand_in(font, info.codepoint, wide)
        placed = ShapeData(
            info.cluster, scale(at.x_advance), scale(at.y_advance), scale(at.x_offset), scale(at.y_offset), wide
        )
        glyphs.append((chr(code), placed))
    return glyphs


def _stand_in(font: TTFont, glyph: int, wide: float) -> int:
    """A private code for a glyph that no sign stands for by itself, such as two joined."""
    code = _PRIVATE
    while code in font.face.charToGlyph:
        code += 1
    font.face.charToGlyph[code] = glyph
    font.face.glyphToChar.setdefault(glyph, []).append(code)
    font.face.charWidths[code] = wide
    return code
