"""Scraps read from a photo, drawn by hand, and what is left of a cloth that was cut."""

import math

import pytest
from shapely.geometry import Polygon

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.layout.scraps import outline_fault, outline_from_photo, rests_of
from fuseau.wording import Words
from tests.craft.layout.cloth_pieces import box


def seen(x, y, lean=0.0005):
    """Where a point of the table (mm, y up) lies on a picture taken from somewhat below: a projective map."""
    deep = 1 + lean * y
    return (400 + 1.4 * x / deep, 900 - 1.4 * y / deep)


SHAPE = ((20, 10), (330, 0), (300, 150), (160, 180), (0, 140))
CORNERS = tuple(seen(*spot) for spot in ((-150, 410), (60, 410), (60, 113), (-150, 113)))  # a sheet of A4 beside it


def test_four_corners_undo_the_tilt_of_the_photo():
    outline, flaws = outline_from_photo(
        CORNERS,
        (210, 297),
        [seen(*spot) for spot in SHAPE],
        [seen(0, 0), seen(100, 0)],
        [[seen(100, 50), seen(120, 50), seen(110, 80)]],
    )
    assert Polygon(outline).area == pytest.approx(Polygon(SHAPE).area, rel=1e-3)
    assert outline[0] == pytest.approx((20, 10), abs=0.2)
    assert Polygon(flaws[0]).area == pytest.approx(300, rel=5e-3)


def test_the_grain_lies_along_whatever_way_the_scrap_was_photographed():
    turned = [(x * math.cos(0.5) - y * math.sin(0.5), x * math.sin(0.5) + y * math.cos(0.5)) for x, y in SHAPE]
    grain = [(0, 0), (100 * math.cos(0.5), 100 * math.sin(0.5))]
    outline, _ = outline_from_photo(
        [seen(0, 0, 0), seen(0, 100, 0)],
        (100, None),
        [seen(*one, 0) for one in turned],
        [seen(*one, 0) for one in grain],
    )
    for found, meant in zip(outline, SHAPE, strict=True):
        assert found == pytest.approx(meant, abs=0.2)


@pytest.mark.parametrize(
    ("change", "at"),
    [
        ({"scale": ()}, "scale"),
        ({"known_mm": (None, 297)}, "known_mm"),
        ({"known_mm": (210, None)}, "known_high_mm"),
        ({"outline": [(0, 0), (10, 10)]}, "outline"),
        ({"outline": [(0, 0), (300, 300), (300, 0), (0, 300)]}, "outline"),
        ({"grain": [(5, 5), (5, 6)]}, "grain"),
        ({"flaws": [[(1, 1), (2, 2)]]}, "flaws.0"),
    ],
)
def test_a_photo_without_scale_or_an_outline_that_crosses_itself_is_refused_at_its_field(change, at):
    asked = {
        "scale": CORNERS,
        "known_mm": (210, 297),
        "outline": [seen(*spot) for spot in SHAPE],
        "grain": [seen(0, 0), seen(100, 0)],
    } | change
    with pytest.raises(Unmakeable) as told:
        outline_from_photo(**asked)
    assert told.value.at == at


def test_what_crosses_itself_says_where():
    crossed = outline_fault([(0, 0), (400, 400), (400, 0), (0, 400)])
    assert "crosses itself, near 20.0 and 20.0 cm" in Words("cm")(crossed)
    assert "near 7 7/8 and 7 7/8 in" in Words("in")(crossed)
    assert outline_fault([(0, 0), (1, 0), (0, 1)]).code == "outline.small"
    assert outline_fault(SHAPE) is None


def test_rests_worth_keeping_are_told_and_slivers_are_waste():
    cloth = box(1000, 400)
    cut = [((10, 5), (300, 5), (300, 395), (10, 395)), ((310, 5), (500, 5), (500, 200), (310, 200))]
    found = rests_of(cloth, (), cut, Practice())
    areas = [Polygon(one).area for one in found]
    assert areas == sorted(areas, reverse=True)
    assert len(found) == 1  # what lies beside the second piece hangs together with the end of the cloth
    assert areas[0] == pytest.approx(500 * 400 + 190 * 200, rel=0.02)
    assert Polygon(found[0]).intersection(Polygon(cut[0])).area < 1
    assert rests_of(box(400, 400), (), [box(380, 390)], Practice()) == ()


def test_a_hole_in_the_middle_leaves_rests_that_have_one_edge_each():
    found = rests_of(box(600, 600), (), [((250, 250), (350, 250), (350, 350), (250, 350))], Practice())
    assert len(found) == 2
    assert sum(Polygon(one).area for one in found) == pytest.approx(350_000, rel=1e-3)
