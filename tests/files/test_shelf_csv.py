"""The shelf as CSV: out and in the same, and in as spreadsheets and people write it."""

import csv
import io

import pytest

from fuseau.commands.shelf import put
from fuseau.craft.materials.catalogue import BONES
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.craft.stock.articles import known_articles
from fuseau.document.shelf import Shelf
from fuseau.files.shelf_csv import read_shelf_csv, shelf_csv
from fuseau.files.unreadable import UnreadableFile

ARTICLES = tuple(known_articles(CLOTHS, BONES))


def read(text, unit="cm"):
    return read_shelf_csv(text.encode() if isinstance(text, str) else text, unit, ARTICLES)


def test_what_goes_out_comes_in_again():
    pieces = [
        {"sort": "cloth", "name": "coutil", "label": "coutil", "length_mm": 2150, "width_mm": 1380, "where": "roll, 2"},
        {"sort": "bone", "name": "flat_12", "label": "flat steel 12 × 1.0 mm", "length_mm": 412.5, "count": 3},
        {"sort": "grommets", "name": "grommet_5", "label": "two-part grommet, 5 mm hole", "count": 46, "cost": 7.25},
    ]
    shelf = put(Shelf(), pieces, "cm")
    rows = read(shelf_csv(shelf.pieces))
    assert [row.fault for row in rows] == [None] * 3
    assert (
        put(Shelf(), [row.piece.model_dump(mode="json", exclude={"id"}) for row in rows], "in").pieces == shelf.pieces
    )


def test_other_columns_commas_and_units_are_read():
    rows = read(
        "What;Type;Quantity;Long;Wide;Place;Price\r\n"
        "Coutil;fabric;1;2,5 m;138 cm;Rolle;46,50\r\n"
        "cord, 4 mm;cord;6 m;;;Kiste;\r\n"
        "flat steel 12 × 1.0 mm;boning;4;410;;;\r\n"
    )
    assert [row.fault for row in rows] == [None] * 3
    coutil, cord, bone = (row.piece for row in rows)
    assert (coutil.length_mm, coutil.width_mm, coutil.cost, coutil.where) == (2500, 1380, 46.5, "Rolle")
    assert (cord.count, cord.length_mm) == (1, 6000)
    assert (bone.count, bone.length_mm) == (4, 410)  # hardware without a unit is mm


def test_in_inches_a_bare_number_of_cloth_is_inches():
    (row,) = read("sort,name,length,width\ncloth,coutil,40,54\n", "in")
    assert row.piece.length_mm == pytest.approx(1016)


@pytest.mark.parametrize(
    ("line", "said"),
    [
        ("cloth,moonbeam,1 m,1 m,1", "There is no cloth called “moonbeam”"),
        ("gubbins,thing,,,1", "What is “gubbins”?"),
        ("grommets,grommet_5,,,-4", "How many there are goes from 1"),
        ("cloth,coutil,two,1 m,1", "is not a length"),
        ("cloth,coutil,,1 m,1", "How long is it?"),
    ],
)
def test_a_row_that_can_not_be_says_why_and_the_others_are_still_read(line, said):
    wrong, right = read(f"sort,name,length,width,count\n{line}\ngrommets,grommet_5,,,20\n")
    assert (wrong.row, wrong.piece) == (2, None)
    assert said in wrong.fault
    assert right.piece.count == 20


@pytest.mark.parametrize("content", [b"", b"  \n", b"\x81\x8d\x8f", b"colour,hat\nred,1\n", b"x" * 2_000_001])
def test_what_is_no_shelf_is_told_in_a_sentence(content):
    with pytest.raises(UnreadableFile) as told:
        read(content)
    assert str(told.value.sentence).endswith(".")


def test_no_cell_of_the_file_is_a_formula():
    piece = {"sort": "thread", "name": "thread", "label": "=1+1", "where": "@home"}
    written = shelf_csv(put(Shelf(), [piece], "cm").pieces).decode("utf-8-sig")
    cells = next(csv.DictReader(io.StringIO(written)))
    assert (cells["label"], cells["where"]) == ("'=1+1", "'@home")
