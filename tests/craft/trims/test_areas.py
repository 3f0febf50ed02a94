"""What is free on a panel between channels, holes and busk, and what fits there."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import Point, Polygon, box

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.trims.areas import Hardware, lay_area, panel_room, place_of, widest_square
from fuseau.craft.trims.choices import Area
from fuseau.planning.trims.rooms import free_of
from tests.kinds import built
from tests.plans import plan

BUILD = built("underbust corset")
PLAN = plan(BUILD)
PANELS = PLAN.pattern.panels


def outline(*points):
    return [{"panel": 1, "x_mm": x, "z_mm": z} for x, z in points]


def square(wide=100, high=200):
    corners = ((0.0, 0.0), (wide, 0.0), (wide, high), (0.0, high))
    return PANELS[0].model_copy(update={"outline": tuple((float(x), float(z)) for x, z in corners)})


def test_between_two_channels_as_much_is_free_as_is_left():
    channels = ((((30.0, 0.0), (30.0, 200.0)), 10.0), (((80.0, 0.0), (80.0, 200.0)), 10.0))
    room, _ = panel_room(square(), Hardware(channels), 10.0)
    assert [round(one.wide_mm) for one in room.areas] == [15, 40, 5]
    assert room.whole_cm2 == 200
    assert room.free_cm2 == pytest.approx((15 + 40 + 5) * 180 / 100)
    assert room.free_cm2 + room.taken_cm2 == pytest.approx(room.whole_cm2)
    assert room.widest_mm == pytest.approx(40, abs=4)


@settings(max_examples=30)
@given(
    st.lists(st.tuples(st.floats(5, 95), st.floats(4, 20)), max_size=4),
    st.lists(st.tuples(st.floats(0, 100), st.floats(0, 200)), max_size=4),
    st.floats(0, 15),
)
def test_free_and_taken_are_the_whole_and_nothing_free_lies_on_hardware(channels, holes, seam):
    hardware = Hardware(
        tuple((((x, -5.0), (x, 205.0)), wide) for x, wide in channels), tuple((at, 5.0) for at in holes)
    )
    room, shape = panel_room(square(), hardware, seam)
    assert room.free_cm2 + room.taken_cm2 == pytest.approx(room.whole_cm2)
    for at in holes:
        assert shape.distance(Point(at)) >= 4.8 or shape.is_empty
    for x, wide in channels:
        middle = box(x - wide / 2 + 0.1, 0, x + wide / 2 - 0.1, 200)
        assert shape.intersection(middle).area < 1


@settings(max_examples=40)
@given(st.floats(10, 90), st.floats(10, 180))
def test_a_motif_that_has_a_place_lies_wholly_on_what_is_free(wide, high):
    shape = Polygon([(0, 0), (100, 0), (70, 100), (100, 200), (0, 200), (25, 100)])
    place = place_of(shape, wide, high)
    if place is not None:
        x, z = place
        at = box(x - wide / 2 + 1.1, z - high / 2 + 1.1, x + wide / 2 - 1.1, z + high / 2 - 1.1)
        assert shape.buffer(0.01).contains(at)
    if wide > 76 and high > 110:
        assert place is None
    assert place_of(shape, 20, 20) is not None


def test_the_widest_square():
    assert widest_square([box(0, 0, 60, 30)]) == pytest.approx(30, abs=2)
    assert widest_square([]) == 0


def test_without_bones_there_is_more_room_for_a_motif():
    rooms, fits = free_of(PLAN, 30, 40)
    assert [room.panel for room in rooms] == [1, 2, 3, 4, 5, 6]
    bare, more = free_of(PLAN.model_copy(update={"bones": ()}), 30, 40)
    assert set(fits) < set(more)
    assert sum(room.free_cm2 for room in rooms) < 0.8 * sum(room.free_cm2 for room in bare)
    assert free_of(PLAN, 300, 300)[1] == ()


def test_a_sequinned_area_is_counted_by_its_density():
    rooms = [panel_room(square(), Hardware(), 10.0)]
    panel = [square()]
    found = lay_area(Area(key="a1", name="sequins", per_cm2=2, grams=0.02, at_hand=500), panel, rooms, "a")
    assert found.cm2 == pytest.approx(2 * 80 * 180 / 100)
    assert found.count == 576
    assert (found.short, found.works) == (76, (("bead by itself", 576.0),))
    assert found.grams == pytest.approx(11.52)
    light = lay_area(Area(key="a1", name="vines", how="light embroidery", half="left"), panel, rooms, "a")
    assert light.works == (("light embroidery", pytest.approx(14.4)),)
    spots = outline((20, 20), (60, 20), (60, 120), (20, 120))
    assert lay_area(Area(key="a1", name="patch", spots=spots), panel, rooms, "a").cm2 == pytest.approx(80)


@pytest.mark.parametrize(
    ("fields", "code"),
    [
        ({"panels": [7]}, "trim.no_panel"),
        ({"spots": outline((0, 0), (50, 50), (50, 0), (0, 50))}, "trim.crosses_itself"),
        ({"spots": outline((0, 0), (4, 0), (4, 4))}, "trim.no_room"),
    ],
)  # fmt: skip
def test_an_area_off_the_garment_is_told(fields, code):
    rooms = [panel_room(square(), Hardware(), 10.0)]
    with pytest.raises(Unmakeable) as caught:
        lay_area(Area(key="a1", name="patch", **fields), [square()], rooms, "trims.areas.0")
    assert caught.value.message.code == code
