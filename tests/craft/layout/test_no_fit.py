"""No-fit polygons against what shapes laid on each other say themselves (model, 11)."""

import math

from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.affinity import translate
from shapely.geometry import Point, Polygon

from fuseau.craft.layout.no_fit import inner_fit, no_fit


def star(radii):
    """A simple polygon round a middle, as bumpy as its radii."""
    step = 2 * math.pi / len(radii)
    spots = [(r * math.cos(i * step), r * math.sin(i * step)) for i, r in enumerate(radii)]
    return Polygon([(round(x, 3), round(y, 3)) for x, y in spots])


stars = st.lists(st.floats(10, 60), min_size=3, max_size=9).map(star)
thousandths = st.integers(-130_000, 130_000).map(lambda one: one / 1000)
spots = st.tuples(thousandths, thousandths)


@settings(max_examples=60, deadline=None)
@given(stars, stars, st.lists(spots, min_size=8, max_size=8))
def test_inside_the_no_fit_polygon_pieces_overlap_and_outside_they_do_not(fixed, piece, at):
    found = no_fit(fixed, piece)
    for x, y in at:
        spot, over = Point(x, y), translate(piece, x, y).intersection(fixed).area
        if found.contains(spot) and found.boundary.distance(spot) > 0.01:
            assert over > 0, (x, y)
        elif found.distance(spot) > 0.01:
            assert over < 1e-6


@settings(max_examples=60, deadline=None)
@given(stars, stars, st.lists(spots, min_size=8, max_size=8))
def test_inside_the_inner_fit_polygon_a_piece_lies_on_its_sheet_and_outside_it_does_not(sheet, piece, at):
    sheet = Polygon([(3 * x, 3 * y) for x, y in sheet.exterior.coords])
    found = inner_fit(sheet, piece)
    for x, y in at:
        spot, inside = Point(x, y), sheet.contains(translate(piece, x, y))
        if found.contains(spot) and found.boundary.distance(spot) > 0.01:
            assert inside
        elif found.distance(spot) > 0.01:
            assert not inside


def test_a_piece_lies_in_the_gap_of_another_although_the_gap_is_closed_to_it():
    ring = Polygon([(0, 0), (100, 0), (100, 100), (49, 100), (49, 90), (90, 90), (90, 10), (10, 10), (10, 90),
                    (48, 90), (48, 100), (0, 100)])  # fmt: skip
    small = Polygon([(0, 0), (20, 0), (20, 20), (0, 20)])
    found = no_fit(ring, small)
    assert not found.contains(Point(40, 40))
    assert found.contains(Point(5, 40))
    big = Polygon([(0, 0), (85, 0), (85, 85), (0, 85)])
    assert no_fit(ring, big).contains(Point(8, 8))


def test_a_piece_that_is_too_large_fits_nowhere():
    sheet = Polygon([(0, 0), (50, 0), (50, 50), (0, 50)])
    assert inner_fit(sheet, Polygon([(0, 0), (51, 0), (51, 5), (0, 5)])).is_empty
    assert inner_fit(Polygon([(0, 0), (50, 0), (0, 50)]), Polygon([(0, 0), (30, 0), (30, 30), (0, 30)])).is_empty
