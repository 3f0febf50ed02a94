"""JSON from outside: what is read, and what is refused before it costs anything."""

import json

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.files.json_text import read_json
from fuseau.files.unreadable import UnreadableFile

WORDS = st.text(st.characters(exclude_categories=("Cs",)), max_size=20)
PLAIN = st.recursive(
    st.none()
    | st.booleans()
    | st.integers(-(10**50), 10**50)
    | st.floats(allow_nan=False, allow_infinity=False)
    | WORDS,
    lambda inner: st.lists(inner, max_size=5) | st.dictionaries(WORDS, inner, max_size=5),
    max_leaves=30,
)


@given(PLAIN, st.booleans())
def test_what_json_holds_is_read_as_it_is(value, ascii_only):
    assert read_json(json.dumps(value, ensure_ascii=ascii_only).encode()) == value


def test_what_some_programs_put_first_is_no_part_of_it():
    assert read_json(b"\xef\xbb\xbf[1, 2]") == [1, 2]


def test_brackets_within_texts_are_no_depth():
    deep = "[" * 500
    assert read_json(json.dumps({"note": deep, "more": '\\"' + deep}).encode())["note"] == deep


@pytest.mark.parametrize(
    ("content", "says"),
    [
        (b"", "empty"),
        (b"   \n", "empty"),
        (b"{", "breaks off or is damaged at line 1"),
        (b"[1,\n2,\n,]", "damaged at line 3"),
        (b"\xff\xfe[\x00]\x00", "not a text file"),
        (b"[" * 61 + b"]" * 61, "nested too deeply"),
        (b"NaN", "holds “NaN”"),
        (b"[-Infinity]", "holds “-Infinity”"),
        (b"1e400", "beyond any number"),
        (b"9" * 61, "a number of 61 digits"),
        (b"-" + b"9" * 61, "a number of 62 digits"),
        (b"0." + b"1" * 700, "a number of 702 digits"),
        (b'"\\ud800"', "half a character"),
        (b'{"a\\udc00": 1}', "half a character"),
        (b"[" + b"0," * 20 + b"0]", "are more than any build needs"),
    ],
)
def test_what_no_file_of_ours_can_hold_is_refused_in_a_sentence(content, says):
    with pytest.raises(UnreadableFile) as caught:
        read_json(content, most_parts=20 if content.startswith(b"[0,") else 1000)
    assert says in caught.value.sentence
    assert caught.value.sentence.endswith(".")


def test_a_character_in_two_halves_that_belong_together_is_one():
    assert read_json(b'"\\ud83e\\uddf5"') == "\U0001f9f5"
