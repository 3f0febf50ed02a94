"""A client's measuring sheet: what goes out, and her answer coming back."""

import io
import json
import re

import pytest
from pypdf import PdfReader

from fuseau.commands.fields import change
from fuseau.document.build import Build
from fuseau.files.letter import letter_html, letter_pdf, read_letter
from fuseau.files.unreadable import UnreadableFile
from tests.conftest import edited
from tests.saying import said

MEASURES = {
    "underbust.girth_1": "30 1/2",
    "underbust.girth_2": "30 3/4",
    "waist.girth_1": "27,5",
    "hip.girth_1": "96 cm",
    "underbust.back": "3 1/2 in",
    "lap": "7",
}


def answer(**more) -> bytes:
    return json.dumps({"format": "fuseau.letter", "version": 1, "unit": "in", "measures": MEASURES, **more}).encode()


def test_an_answer_becomes_unconfirmed_measures():
    build = change(Build(), read_letter(answer()), "cm")
    wearer = build.wearer
    assert wearer.underbust.readings_mm == pytest.approx((774.7, 781.05))
    assert wearer.waist.readings_mm == pytest.approx((698.5,))
    assert wearer.hip.readings_mm == (960,)
    assert wearer.underbust.height_back_mm == pytest.approx(88.9)
    assert wearer.waist_to_lap_sitting_mm == pytest.approx(177.8)
    assert build.body["waist"].spread_mm == build.practice.tape_spread_unconfirmed_mm


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (b"", "empty"),
        (b"{", "damaged"),
        (b"\xff\xfe", "damaged"),
        (b"[1]", "not a client's answer"),
        (b'{"format": "fuseau.build"}', "not a client's answer"),
        (b" " * 300_000, "empty"),
        (b"{" + b" " * 300_000, "far too large"),
        (answer(version=2), "newer measuring sheet"),
        (answer(measures={}), "no measures"),
        (answer(measures={"waist.girth_1": "7"}), "Waist, first reading: 7 in can't be right, 15 3/4 to 78 3/4 in"),
        (answer(measures={"hip.side": "tall"}), "Hip, height at the side: “tall”"),
        (answer(measures={"elbow.girth_1": "7"}), "did not ask for"),
        (answer(measures={"waist.girth_1": 700}), "not a length"),
    ],
)
def test_an_answer_that_is_none_is_told_in_one_sentence(content, says):
    with pytest.raises(UnreadableFile) as caught:
        read_letter(content)
    assert says in said(caught.value.sentence)


def test_the_sheet_stands_alone_and_cannot_be_broken_by_a_name():
    build = edited(Build(), brief__name="</script><img src=x onerror=alert(1)>")
    page = letter_html(build, "in").decode()
    assert not re.search(r"(src|href)\s*=\s*[\"']?(https?:)?//", page)
    assert "<img" not in page
    assert page.count("</script>") == 2
    assert 'value="in" selected' in page
    assert page.count("<input") == 5 * 2 + 4 * 3 + 1


def test_the_printed_sheet_asks_for_the_same():
    reader = PdfReader(io.BytesIO(letter_pdf(edited(Build(), brief__name="Tidewarden"), "letter")))
    assert len(reader.pages) == 2
    beside = reader.pages[1].extract_text()
    assert "Where the tape goes" in beside
    assert [line for line in beside.splitlines() if line.strip().isdigit()] == ["1", "2", "3", "4", "5"]
    text = reader.pages[0].extract_text()
    for word in ("Measures for Tidewarden", "Underbust", "Ribs", "Waist", "High hip", "Hip", "Waist to lap", "second"):
        assert word in text


@pytest.mark.parametrize("kind", ["overbust corset", "neck corset"])
def test_the_sheet_asks_for_the_levels_of_its_kind_and_reads_them_back(kind):
    from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
    from tests.kinds import built

    build = built(kind)
    page = letter_html(build, "cm").decode()
    for level in GARMENT_KINDS[kind].levels:
        assert f'name="{level}.girth_1"' in page
    assert ("bust_points" in page) == (kind == "overbust corset")
    assert ("Waist to lap" in page) == (kind == "overbust corset")
    level = GARMENT_KINDS[kind].needed[0]
    answer = {
        "format": "fuseau.letter",
        "version": 1,
        "unit": "cm",
        "measures": {f"{level}.girth_1": "91" if kind == "overbust corset" else "34"},
    }
    changes = {one.at: one.value for one in read_letter(json.dumps(answer).encode())}
    assert changes[f"wearer.{level}.unconfirmed"] is True
    answer["measures"][f"{level}.girth_1"] = "12"
    with pytest.raises(UnreadableFile, match="can't be right"):
        read_letter(json.dumps(answer).encode())
