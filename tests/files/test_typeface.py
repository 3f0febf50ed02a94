"""Names in any of the scripts on paper: signs in embedded fonts, joined and in the order in which they are read."""

import io
import unicodedata

import pypdfium2
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pypdf import PdfReader
from reportlab.pdfbase import pdfmetrics
from reportlab.pdfbase.ttfonts import TTFont
from shapely.geometry import LineString, Polygon

from fuseau.files.fitting_slip import fitting_pdf
from fuseau.files.fonts import FOLDER, RANGES
from fuseau.files.letter import letter_pdf
from fuseau.files.pieces import _room, pattern_pieces, ply_pieces
from fuseau.files.tiles import pattern_pdf
from fuseau.files.typeface import BOLD, FONT, Page, ShapedLine, Typeface, fonts
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

SCRIPTS = {
    "Greek, Cyrillic, Georgian": "Ζωή Ночь ნინო",
    "Han and kana": "王小明のコルセット龍㐀𡎚",
    "Hangul": "김민준",
    "Devanagari": "क्षितिज हिन्दी",
    "Bengali, Gujarati, Gurmukhi": "মীনাক্ষী મીના ਮੀਨਾ",
    "Tamil, Telugu, Kannada, Malayalam": "மீனாட்சி మీనాక్షి ಮೀನಾಕ್ಷಿ മീനാക്ഷി",
    "Sinhala, Thai, Lao": "මීනා มีนา ມີນາ",
    "Khmer, Myanmar, Ethiopic": "មីនា မီနာ ሚና",
    "Hebrew": "שרה כהן",
    "Arabic": "فاطمة",
}


def face(name: str = FONT) -> Typeface:
    fonts()
    return pdfmetrics.getFont(name)


def drawn(text: str, size: float = 40) -> tuple[bytes, float, float]:
    """A line of text alone on a page: the page, and from where to where there is ink, points."""
    fonts()
    target = io.BytesIO()
    canvas = Page(target, pagesize=(900, 100), invariant=True)
    canvas.setFont(FONT, size)
    canvas.drawString(100, 40, text)
    canvas.save()
    image = pypdfium2.PdfDocument(target.getvalue())[0].render(scale=2).to_pil().convert("L")
    left, _, right, _ = image.point(lambda shade: 255 if shade < 128 else 0).getbbox()
    return target.getvalue(), left / 2, right / 2


@pytest.mark.parametrize("script", SCRIPTS)
@pytest.mark.parametrize("name", [FONT, BOLD])
def test_every_sign_of_the_scripts_has_a_glyph(script, name):
    fonts()
    line = face(name).line(SCRIPTS[script])
    used = line.fonts if isinstance(line, ShapedLine) else [0] * len(line)
    assert len(line) > 0
    for sign, number in zip(line, used, strict=True):
        assert face(name).font(number).face.charToGlyph[ord(sign)] > 0


@pytest.mark.parametrize("script", SCRIPTS)
def test_what_is_drawn_is_as_wide_as_was_measured_and_in_embedded_fonts(script):
    text = SCRIPTS[script]
    pdf, left, right = drawn(text)
    assert left == pytest.approx(100, abs=5)
    assert right == pytest.approx(100 + face().stringWidth(text, 40), abs=8)
    page = PdfReader(io.BytesIO(pdf)).pages[0]
    used = [one.get_object() for one in page["/Resources"]["/Font"].get_object().values()]
    used = [one for one in used if one["/BaseFont"] != "/Helvetica"]
    assert used
    assert all("/FontFile2" in one["/FontDescriptor"] for one in used)


def test_what_is_read_from_the_right_begins_there_and_numbers_stay():
    line = face().line("שרה 12, v3")
    assert list(line) == ["1", "2", " ", "ה", "ר", "ש", ",", " ", "v", "3"]
    # a bracket that closes what is read from the right opens to its left
    assert "".join(face().line("אב(ג)")) == "(ג)בא"
    assert "".join(face().line("אב (c) [ג")) == "בא (c) [ג"
    assert "".join(face().line("(אב), v")) == "(בא), v"


def test_arabic_is_joined():
    """Alone each letter has its own form; in a word those at its begin, middle and end are others, and narrower."""
    alone = sum(face().stringWidth(letter, 10) for letter in "فاطمة")
    assert face().stringWidth("فاطمة", 10) < alone - 2


def test_devanagari_is_shaped():
    """क + virama + ष is one conjunct; the short i stands before the letter that it follows when spoken."""
    assert len(face().line("क्ष")) == 1
    short_i = face().line("क")[0]
    line = face().line("कि")
    assert len(line) == 2
    assert line[1] == short_i


def test_an_accent_that_is_written_by_itself_is_its_letters():
    assert str(face().line("Zoe\u0308")) == "Zoë"
    placed = face().line("m\u0308").__shapeData__
    assert placed[1].x_advance == 0 or len(placed) == 1


def test_what_is_not_shaped_is_left_alone():
    text = "Underbust corset, version 3 → 4"
    assert face().line(text) is text


@given(st.text(st.characters(categories=["L", "M", "N", "P", "Zs"]), max_size=24))
def test_any_text_at_all_is_set(text):
    pdf = io.BytesIO()
    canvas = Page(pdf, pagesize=(400, 40), invariant=True)
    fonts()
    canvas.setFont(FONT, 9)
    canvas.draw_within(10, 10, 380, text)
    canvas.save()
    assert face().stringWidth(text, 9) >= 0
    assert len(PdfReader(io.BytesIO(pdf.getvalue())).pages) == 1


def test_a_name_in_four_scripts_stays_on_the_paper_with_its_version():
    build = edited(built("underbust corset"), brief__name="Zoë Ночь 王小明 שרה " * 6, wearer__name="김민준 श्रीमती")
    build = edited(build, brief__name=build.brief.name[:120].strip())
    planned = plan(build)
    for pdf in (pattern_pdf(build, planned, "a4"), fitting_pdf(build, planned, "a4", "cm"), letter_pdf(build, "a4")):
        page = pypdfium2.PdfDocument(pdf)[0]
        text = page.get_textpage()
        for k in range(text.count_chars()):
            if text.get_text_range(k, 1).strip():
                left, low, right, top = text.get_charbox(k)
                assert 0 <= left <= right <= page.get_width()
                assert 0 <= low <= top <= page.get_height()
    first = PdfReader(io.BytesIO(pattern_pdf(build, planned, "a4"))).pages[1].extract_text()
    assert "王" in first.replace("\u2ea9", "王")
    assert ", draft" in first


@pytest.mark.parametrize("sign", ["M", "王"])
def test_a_long_name_stays_on_its_pieces(sign):
    build = edited(built("neck corset"), brief__name=sign * 120)
    planned = plan(build)
    for piece in (*pattern_pieces(build, planned), *ply_pieces(build, planned)):
        said = [label.text for label in piece.labels if sign in label.text and label.text.endswith("draft")]
        assert all("…, draft" in one for one in said)
        assert all(len(one) < 80 for one in said)


@settings(max_examples=12)
@given(
    st.sampled_from(["neck corset", "strapless bodice", "cincher"]),
    st.text(st.sampled_from("Wi 王न"), min_size=1, max_size=120),
)
def test_whatever_it_is_called_no_label_of_a_piece_crosses_a_line_or_leaves_it(kind, name):
    build = edited(built(kind), brief__name=name)
    planned = plan(build)
    for piece in (*pattern_pieces(build, planned), *ply_pieces(build, planned)):
        cut = next(one for one in piece.strokes if one.kind == "cut" and one.closed)
        inside = Polygon(cut.points).buffer(0)
        lines = [LineString([*one.points, one.points[0]] if one.closed else one.points) for one in piece.strokes]
        rooms = [_room(label) for label in piece.labels]
        for k, room in enumerate(rooms):
            said = f"{piece.name}: {piece.labels[k].text}"
            assert inside.contains(room), said
            assert not any(room.intersects(line) for line in lines), said
            assert not any(room.intersects(other) for other in rooms[:k]), said


def test_every_font_has_the_signs_that_it_is_asked_for():
    for name, ranges in RANGES.items():  # but for what is not given out yet
        has = TTFont(name, FOLDER / f"{name}.ttf").face.charToGlyph
        assert sum(code in has for low, high in ranges for code in range(low, high + 1)) > 50
    asked = [code for ranges in RANGES.values() for low, high in ranges for code in range(low, high + 1)]
    assert len(asked) == len(set(asked))


def test_a_sign_that_no_font_has_is_drawn_as_a_box_and_stops_nothing():
    _, left, right = drawn("A🙂B")
    assert right > left + 60
    assert face().stringWidth("🙂", 10) > 0


def test_a_sign_that_is_not_given_out_yet_stops_nothing_in_a_line_that_runs_both_ways():
    unknown = next(chr(code) for code in range(0x2FE0, 0x10FFF) if not unicodedata.bidirectional(chr(code)))
    for text in (unknown, f"A {unknown} (ש) b", f"ש{unknown}ש"):
        assert face().stringWidth(text, 10) > 0
