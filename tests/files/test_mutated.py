"""Files that something went wrong with: each is read, or refused in a sentence, whatever became of its bytes."""

import io
import re
from functools import cache

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image

from fuseau.files.document import write_document
from fuseau.files.drawings import read_drawing
from fuseau.files.dxf import pattern_dxf
from fuseau.files.intake import take_in
from fuseau.files.letter import read_letter
from fuseau.files.pictures import decode_picture
from fuseau.files.svg import pattern_svg
from fuseau.files.unreadable import UnreadableFile
from tests.kinds import built
from tests.plans import plan

NUMBER = re.compile(rb"-?\d+(?:\.\d+)?")
ODD = (b"0", b"-0", b"1e300", b"-1e300", b"1e-300", b"9" * 400, b"NaN", b"inf", b"1e9", b"-1", b"", b"\x00", b"0x10")


@cache
def originals() -> dict[str, bytes]:
    """One good file of every kind that is read."""
    build = built("underbust corset")
    planned = plan(build)
    picture = Image.fromarray(np.random.default_rng(1).integers(0, 255, (60, 90, 3), dtype=np.uint8))
    found = {
        "svg": pattern_svg(build, planned).encode(),
        "dxf": pattern_dxf(build, planned),
        "json": write_document(build),
        "letter": b'{"format": "fuseau.letter", "version": 1, "unit": "cm", "measures": {"waist.girth_1": "70.5"}}',
        "curves.svg": b'<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300">'
        b'<g transform="rotate(12) scale(1.1)"><path class="cut" d="M10 10C60 0 90 40 120 10A50 80 20 1 0 180 90'
        b'Q90 200 10 180Z"/><ellipse cx="90" cy="90" rx="60" ry="70"/>'
        b'<rect x="5" y="5" width="90" height="120" rx="9"/></g></svg>',
    }
    for kind in ("PNG", "JPEG", "WEBP"):
        target = io.BytesIO()
        picture.save(target, kind)
        found[kind.lower()] = target.getvalue()
    return found


READERS = {
    "svg": lambda content: read_drawing(content, "a.svg"),
    "curves.svg": lambda content: read_drawing(content, "a.svg", "mm"),
    "dxf": lambda content: read_drawing(content, "a.dxf"),
    "json": take_in,
    "letter": read_letter,
    "png": lambda content: decode_picture(content, "a.png"),
    "jpeg": lambda content: decode_picture(content, "a.jpg"),
    "webp": lambda content: decode_picture(content, "a.webp"),
}


def mutated(kind: str) -> st.SearchStrategy[bytes]:
    """A good file of a kind after accidents."""
    return after_accidents(originals()[kind], kind in ("svg", "curves.svg", "dxf", "json", "letter"))


@st.composite
def after_accidents(draw: st.DrawFn, content: bytes, numbers: bool = False) -> bytes:
    """A file after one to four accidents: bits, cuts, swapped stretches, `numbers` that are none."""
    for _ in range(draw(st.integers(1, 4))):
        at, to = sorted(draw(st.tuples(st.integers(0, len(content)), st.integers(0, len(content)))))
        what = draw(st.sampled_from(["byte", "number", "number", "number", "cut", "drop", "twice", "noise"]))
        if what == "byte" and at < len(content):
            content = content[:at] + bytes([draw(st.integers(0, 255))]) + content[at + 1 :]
        elif what == "number" and numbers:
            found = NUMBER.search(content, at)
            if found:
                content = content[: found.start()] + draw(st.sampled_from(ODD)) + content[found.end() :]
        elif what == "cut":
            content = content[:to]
        elif what == "drop":
            content = content[:at] + content[min(to, at + 400) :]
        elif what == "twice":
            content = content[:to] + content[at:to][:4000] + content[to:]
        elif what == "noise":
            content = content[:at] + draw(st.binary(max_size=20)) + content[at:]
    return content


@pytest.mark.parametrize("kind", sorted(READERS))
@settings(max_examples=25)
@given(data=st.data())
def test_a_mutated_file_is_read_or_refused_in_a_sentence(kind, data):
    content = data.draw(mutated(kind))
    refused = _refused(kind, content)
    if refused is not None:
        assert 10 < len(refused) < 400, refused
        assert refused.endswith((".", "?", "!")), refused


def _refused(kind: str, content: bytes) -> str | None:
    try:
        READERS[kind](content)
    except UnreadableFile as error:
        return error.sentence
    return None


def svg(d: str, more: str = "") -> bytes:
    return (
        '<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300">'
        f'<path class="cut" d="{d}"/>{more}</svg>'
    ).encode()


def dxf(*entities: str) -> bytes:
    body = "".join(f"0\n{one}" for one in entities)
    head = "0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n"
    return f"{head}0\nSECTION\n2\nENTITIES\n{body}0\nENDSEC\n0\nEOF\n".encode()


@pytest.mark.parametrize(
    ("name", "content", "says"),
    [
        ("a.svg", svg("M0 0" + "L1 1" * 300_000), "numbers"),
        ("a.svg", svg("M0 0A1e9 1e9 0 1 1 10 10Z"), "infinity|metres large"),
        ("a.svg", svg("M0 0L1e300 0L0 1e300Z"), "infinity|metres large"),
        ("a.svg", svg("M0 0h10v10z", "<g>" * 80 + "</g>" * 80), "80|deep"),
        ("a.dxf", dxf("CIRCLE\n8\n0\n10\n0\n20\n0\n40\n1e12\n"), "infinity"),
        ("a.dxf", dxf("CIRCLE\n8\n0\n10\n1e300\n20\n0\n40\n50\n"), "infinity"),
        ("a.dxf", dxf(*["LINE\n8\n0\n10\n0\n20\n0\n11\n9\n21\n9\n"] * 25_000), "rows|entities"),
        ("a.dxf", b"0\nSECTION\n" * 350_000, "rows"),
    ],
)
def test_a_drawing_that_holds_too_much_is_told_before_it_is_worked_on(name, content, says):
    with pytest.raises(UnreadableFile, match=says):
        read_drawing(content, name)
