"""The shopping list as CSV: taken to shops of her own, and read back with what was bought there."""

import csv
import datetime
import io

import pytest

from fuseau.craft.materials.catalogue import BONES
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.craft.stock import articles
from fuseau.files.shopping_csv import read_shopping_csv, shopping_csv
from fuseau.files.unreadable import UnreadableFile
from fuseau.planning.told.needs import Need
from fuseau.planning.workshop.shopping import Offer, Want, shopping

ARTICLES = tuple(articles.known_articles(CLOTHS, BONES))
BUILDS = {"The Heron": "b1", "Beekeeper": "b2"}
NAMES = {build: name for name, build in BUILDS.items()}
TODAY = datetime.date(2026, 11, 26)
HOLES = next(one for one in ARTICLES if one.name == "grommet_5")
COUTIL = articles.cloth(CLOTHS["coutil"])
FLAT = articles.bone(BONES["flat_7_ready"])


def want(build, article, amount, **more):
    need = Need(article=article, stage="cut", amount=amount, **more)
    return Want(build=build, need=need, taken=(), coming=0.0, buy=amount)


def offer(article, pack, price, **more):
    return Offer(shop="Weir Street", article=article, pack=pack, price=price, days=4, days_spread=1, **more)


def a_list():
    wants = [
        want("b1", HOLES, 26),
        want("b2", HOLES, 20),
        want("b1", COUTIL, 620, in_one=True, width_mm=1380),
        want("b2", FLAT, 8, each_mm=250.0),
    ]
    offers = [offer(HOLES, 40, 6.0), offer(COUTIL, 500, 9.0, width_mm=1380), offer(FLAT, 1, 1.5, each_mm=250.0)]
    return shopping(wants, {}, offers, TODAY)


def read(content, unit="cm"):
    return read_shopping_csv(content.encode() if isinstance(content, str) else content, unit, ARTICLES, BUILDS)


@pytest.mark.parametrize("unit", ["cm", "in"])
def test_a_list_that_comes_back_as_it_went_orders_what_it_asked_for(unit):
    found = a_list()
    rows = read(shopping_csv(found.lines, NAMES, unit), unit)
    assert [row.fault for row in rows] == [None] * 3
    lines = {row.line.article.name: row.line for row in rows}
    assert {row.shop for row in rows} == {"Weir Street"}
    assert (lines["grommet_5"].amount, lines["grommet_5"].packs) == (80, 2)
    assert lines["grommet_5"].builds == ("b1", "b2")
    assert lines["coutil"].amount == pytest.approx(1000, abs=4)  # a pack to an eighth of an inch
    assert lines["coutil"].width_mm == pytest.approx(1380, abs=2)
    assert (lines["flat_7_ready"].amount, lines["flat_7_ready"].each_mm) == (8, pytest.approx(250, abs=1))
    assert sum(row.line.packs * row.line.price for row in rows) == pytest.approx(found.price)


def test_what_nobody_has_says_so_and_asks_where_it_was_bought():
    (line,) = shopping([want("b1", HOLES, 26)], {}, [], TODAY).lines
    (row,) = read(shopping_csv([line], NAMES, "cm"))
    assert row.line is None
    assert "From whom?" in row.fault


def test_other_headings_units_and_amounts_and_rows_that_were_not_bought():
    rows = read(
        "What;Qty;Shop;Paid;Build\r\n"
        "two-part grommet, 5 mm hole;50;Corner shop;8,40;The Heron\r\n"
        "coutil;2 yd;Market;31,00;nobody's\r\n"
        "ticking;;Market;;\r\n"
        "canvas;0;;;\r\n"
        "cord, 4 mm;5,6 m;Corner shop;;\r\n"
    )
    assert [row.fault for row in rows] == [None] * 3
    holes, coutil, cord = (row.line for row in rows)
    assert (holes.amount, holes.price, holes.builds) == (50, 8.4, ("b1",))
    assert (coutil.amount, coutil.builds) == (pytest.approx(1828.8), ())
    assert cord.amount == 5600


@pytest.mark.parametrize(
    ("line", "said"),
    [
        ("moonbeams,3,1,3,Market,1", "What is “moonbeams”?"),
        ("coutil,much,,,Market,1", "is not a length"),
        ("coutil,1 m,half,,Market,1", "is not how many packs"),
        ("coutil,1 m,1.5,,Market,1", "no whole number of packs"),
        ("coutil,1 m,-2,,Market,1", "How many packs"),
        ("coutil,1 m,1,1 m,Market,nan", "is not a price"),
        ("coutil,1 m,1,1 m,,1", "From whom?"),
        ("coutil,900 km,,,Market,1", "is not a unit"),
        ("coutil,9000 m,,,Market,1", "What a pack holds"),
    ],
)
def test_a_row_that_can_not_be_says_why_and_the_others_are_still_read(line, said):
    wrong, right = read(f"article,amount,packs,pack of,from,price\n{line}\ncanvas,2 m,,,Market,\n")
    assert wrong.line is None
    assert said in wrong.fault
    assert right.line.amount == 2000


@pytest.mark.parametrize("content", [b"", b"\x81\x8d\x8f", b"colour,hat\nred,1\n"])
def test_what_is_no_list_is_told_in_a_sentence(content):
    with pytest.raises(UnreadableFile):
        read(content)


def test_no_cell_of_the_list_is_a_formula():
    found = shopping([want("b1", HOLES, 26)], {}, [offer(HOLES, 40, 6.0)], TODAY)
    cells = next(csv.DictReader(io.StringIO(shopping_csv(found.lines, {"b1": "=2+2"}, "cm").decode("utf-8-sig"))))
    assert cells["for"] == "'=2+2"
    assert (cells["packs"], cells["pack of"], cells["price"]) == ("1", "40", "6.00")
