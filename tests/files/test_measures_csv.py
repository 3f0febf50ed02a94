"""Measures and bones as sheets: out and in, mixed units, and what is wrong with a row."""

import csv
import io

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.commands.fields import change
from fuseau.craft.wearer.measures import LEVELS, Wearer
from fuseau.document.build import Build
from fuseau.files.bones_csv import bones_csv
from fuseau.files.measures_csv import measures_csv, read_measures_csv
from fuseau.files.unreadable import UnreadableFile
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan


def read(text: str, unit="cm"):
    return read_measures_csv(text.encode(), unit)


def taken(rows, unit="cm") -> Wearer:
    assert [row.fault for row in rows if row.fault] == []
    changes = [one for row in rows for one in row.changes]
    return change(Build(), changes, unit).wearer if changes else Wearer()


def test_a_sheet_with_mixed_units_is_read_each_in_its_own():
    rows = read(
        "Level;Unit;First;Second;Front height;Side;Left more\n"
        "Waist;in;27 1/2;28;;;1/4\n"
        "Under bust;;77,2 cm;30.5 in;3 in;9;\n"
        "HIPS;mm;962;;;200;\n"
        "High hip;;88;;;;\n"
        "bust points;inches;7 1/2;;;;\n"
    )
    wearer = taken(rows)
    assert wearer.waist.readings_mm == pytest.approx((698.5, 711.2))
    assert wearer.waist.left_more_mm == pytest.approx(6.35)
    assert wearer.underbust.readings_mm == pytest.approx((772, 774.7))
    assert (wearer.underbust.height_front_mm, wearer.underbust.height_side_mm) == pytest.approx((76.2, 90))
    assert (wearer.hip.readings_mm, wearer.hip.height_side_mm) == ((962,), 200)
    assert wearer.high_hip.readings_mm == (880,)
    assert wearer.bust_points_mm == pytest.approx(190.5)
    assert "Waist: 69.9 cm, 71.1 cm, left more 0.6 cm" in [row.said for row in rows]


@pytest.mark.parametrize(
    ("line", "says"),
    [
        ("waist,cm,28", "In inches it could be."),
        ("waist,in,90", "In centimetres it could be."),
        ("waist,,700", "In millimetres it could be."),
        ("waist,cm,27 1/2 in", "says another unit than its row, cm"),
        ("waist,ells,2", "“ells” is no unit"),
        ("elbow,cm,30", "What is “elbow”? One of: Upper neck"),
        (",cm,30", "What is “”?"),
        ("waist,cm,seventy", "is not a length"),
        ("waist,cm,-70", "below zero"),
        ("waist,cm,70,,9", "Heights are taken from the waist"),
        ("lap,cm,18,19", "This is one length"),
    ],
)
def test_a_row_that_cannot_be_says_why_with_its_number(line, says):
    rows = read(f"level,unit,girth 1,girth 2,front height\nhip,cm,96\n{line}\n")
    assert [row.fault for row in rows if row.row == 2] == [None]
    assert says in next(row.fault for row in rows if row.row == 3)
    assert all(not row.changes for row in rows if row.fault)


def test_a_level_told_twice_is_refused_and_an_empty_row_is_none():
    rows = read("level,girth\nwaist,70\nbust,\nnatural waist,71\n")
    assert [(row.row, row.fault) for row in rows] == [(2, None), (4, "It stands in row 2 already. Keep one.")]


@pytest.mark.parametrize("content", [b"", b"colour,how much\n", b"\xff\xfe\x00", b"\x00" * 40, b"x" * 2_100_000])
def test_what_is_no_such_sheet_is_told_in_a_sentence(content):
    with pytest.raises(UnreadableFile) as caught:
        read_measures_csv(content, "cm")
    assert str(caught.value).endswith(".")


LENGTHS = st.floats(500, 1500).map(lambda value: round(value, 1))
LEVEL = st.fixed_dictionaries(
    {"readings_mm": st.lists(LENGTHS, max_size=5)},
    optional={"left_more_mm": st.floats(-40, 40).map(lambda value: round(value, 1))},
)
TORSO = [name for name in LEVELS if name not in ("upper_neck", "neck_base", "collarbone")]


@given(st.dictionaries(st.sampled_from(TORSO), LEVEL), st.sampled_from(["cm", "in"]), st.sampled_from(["cm", "in"]))
def test_what_goes_out_comes_in_again_whatever_the_unit_of_either_workshop(levels, out, back):
    wearer = Wearer.model_validate(levels, context={"unit": "mm"})
    found = taken(read_measures_csv(measures_csv(wearer, out), back), back)
    for name in TORSO:
        assert found[name].readings_mm == pytest.approx(wearer[name].readings_mm, abs=0.01)
        assert found[name].left_more_mm == pytest.approx(wearer[name].left_more_mm, abs=0.01)


@given(st.text(max_size=200), st.sampled_from(["cm", "in"]))
def test_no_sheet_breaks_it(text, unit):
    for row in _rows(f"level,unit,girth 1,front height\n{text}", unit) + _rows(text, unit):
        assert row.fault is None or row.fault
        if not row.fault:
            change(Build(), row.changes, unit)


def _rows(text, unit):
    try:
        return read_measures_csv(text.encode("utf-8", "replace"), unit)
    except UnreadableFile:
        return []


def test_lines_may_end_as_any_system_ends_them_and_a_cell_too_long_is_told():
    for end in ("\n", "\r\n", "\r"):
        assert taken(read(f"level,girth{end}waist,70{end}hip,96{end}")).hip.readings_mm == (960,)
    with pytest.raises(UnreadableFile, match="far too long"):
        read("level,girth\nwaist," + "7" * 140_000)


def test_every_bone_is_a_row_with_the_length_it_is_cut_to():
    build = built("overbust corset")
    planned = plan(build)
    rows = list(csv.DictReader(io.StringIO(bones_csv(planned, "in").decode("utf-8-sig"))))
    assert [row["channel"] for row in rows] == [one.channel for one in planned.bones]
    assert sum(int(row["count"]) for row in rows) == planned.boning.count
    for row, bone in zip(rows, planned.bones, strict=True):
        assert float(row["length mm"]) == bone.length_mm
        assert float(row["length in"]) == pytest.approx(bone.length_mm / 25.4, abs=0.006)
    assert bones_csv(plan(edited(Build())), "cm").count(b"\n") == 1
