"""A gap from a photo: pictures that the test draws itself, straight and tilted, with gaps that are known."""

import io

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image, ImageDraw

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.fitting.photo_gap import MarkedBack, _homography, read_back

PRACTICE = Practice()
WIDE, HIGH = 900, 1200
CARD = ((-150.0, 150.0), (-90.0, 150.0), (-90.0, 70.0), (-150.0, 70.0))  # 60 mm by 80 mm, beside the gap
GAPS = {120.0: 38.0, 60.0: 44.0, 0.0: 52.0, -60.0: 61.0, -110.0: 66.0}


def straight(mm):
    """A camera straight on: 2.5 px to the millimetre, the waist at the middle."""
    return np.array(mm) * [2.5, -2.5] + [450, 640]


def tilted(mm):
    """A camera from below and beside: parallels run together."""
    corners = np.array([[-200, 200], [200, 200], [200, -200], [-200, -200]], float)
    seen = np.array([[120, 160], [760, 230], [830, 1040], [60, 1130]], float)
    way = _homography(corners, seen)
    found = np.append(np.array(mm, float), 1.0) @ way.T
    return found[:2] / found[2]


def drawn(camera):
    """A picture of the laced back as such a camera sees it: two lacing edges, a card, and a line at the waist."""
    picture = Image.new("RGB", (WIDE, HIGH), "#d8cfc0")
    pen = ImageDraw.Draw(picture)
    for side in (-1, 1):
        edge = [tuple(camera((side * gap / 2, z))) for z, gap in sorted(GAPS.items())]
        pen.line(edge, fill="#101820", width=3)
    pen.polygon([tuple(camera(corner)) for corner in CARD], fill="#ffffff", outline="#c03028")
    pen.line([tuple(camera((-200, 0))), tuple(camera((200, 0)))], fill="#4070a0", width=2)
    return picture


def edges_in(picture, camera, z):
    """The edges as the eye finds them on the picture: the dark pixels nearest to where the row lies."""
    pixels = np.asarray(picture).astype(int)
    dark = np.argwhere(pixels.sum(axis=2) < 120)[:, ::-1]
    found = []
    for side in (-1, 1):
        near = camera((side * GAPS[z] / 2, z)) + np.array([3.0 * side, 1.0])  # where a finger lands
        found.append(tuple(map(float, dark[np.argmin(np.hypot(*(dark - near).T))])))
    return tuple(found)


def marked(camera, picture, corners=True, **more):
    card = [tuple(map(float, camera(corner))) for corner in CARD]
    given = {
        "width_px": WIDE,
        "scale": tuple(card) if corners else tuple(card[:2]),
        "known_mm": 60.0,
        "known_high_mm": 80.0 if corners else None,
        "waist": tuple(map(float, camera((0, 0)))),
        "rows": tuple(edges_in(picture, camera, z) for z in GAPS),
    }
    return MarkedBack(**{**given, **more})


@pytest.mark.parametrize(("camera", "corners"), [(straight, False), (straight, True), (tilted, True)])
def test_known_gaps_are_read_off_a_drawn_picture(camera, corners):
    found = read_back(marked(camera, drawn(camera), corners), PRACTICE)
    assert [round(one.z_mm, -1) for one in found] == sorted(GAPS, reverse=True)
    for one in found:
        truth = GAPS[round(one.z_mm, -1)]
        assert one.gap_mm == pytest.approx(truth, abs=2.0)
        assert abs(one.gap_mm - truth) < 3 * one.spread_mm + 0.8  # a pixel of the pen
        assert 0.3 <= one.spread_mm < 10  # a card of 6 cm, far from the gap: a longer one measures finer


def test_a_tilted_picture_by_two_points_alone_is_off_and_by_four_corners_is_not():
    picture = drawn(tilted)
    plain, corners = (read_back(marked(tilted, picture, four), PRACTICE) for four in (False, True))
    worst = [
        max(abs(one.gap_mm - GAPS[min(GAPS, key=lambda z: abs(z - one.z_mm))]) for one in w) for w in (plain, corners)
    ]
    assert worst[1] < 2 < worst[0]


def test_coarser_marks_and_a_shorter_scale_spread_wider():
    picture = drawn(straight)
    fine = read_back(marked(straight, picture, False), PRACTICE)
    coarse = read_back(marked(straight, picture, False), PRACTICE.model_copy(update={"mark_share": 0.01}))
    short = marked(straight, picture, False, scale=((100.0, 100.0), (150.0, 100.0)), known_mm=20.0)
    for one, wide, wider in zip(fine, coarse, read_back(short, PRACTICE), strict=True):
        assert one.spread_mm < wide.spread_mm
        assert one.spread_mm < wider.spread_mm


@settings(max_examples=20)
@given(st.floats(-0.5, 0.5))
def test_a_turned_picture_reads_the_same(angle):
    turn = np.array([[np.cos(angle), -np.sin(angle)], [np.sin(angle), np.cos(angle)]])

    def camera(mm):
        return straight(turn @ np.array(mm))

    rows = tuple(tuple(tuple(map(float, camera((side * g / 2, z)))) for side in (-1, 1)) for z, g in GAPS.items())
    scale = tuple(tuple(map(float, camera(corner))) for corner in CARD[:2])
    at = MarkedBack(WIDE, scale, 60.0, None, tuple(map(float, camera((0, 0)))), rows)
    found = read_back(at, PRACTICE)
    assert [one.gap_mm for one in found] == pytest.approx([GAPS[z] for z in sorted(GAPS, reverse=True)], abs=0.05)
    assert [one.z_mm for one in found] == pytest.approx(sorted(GAPS, reverse=True), abs=0.05)


@pytest.mark.parametrize(
    ("wrong", "at"),
    [
        ({"scale": ()}, "scale"),
        ({"scale": ((1.0, 1.0), (2.0, 1.0))}, "scale"),
        ({"known_mm": None}, "known_mm"),
        ({"known_high_mm": None}, "known_high_mm"),
        ({"waist": None}, "waist"),
        ({"rows": ()}, "rows"),
        ({"rows": (((500.0, 300.0), (400.0, 300.0)),)}, "rows.0"),
        ({"scale": tuple(tuple(map(float, straight(CARD[i]))) for i in (0, 2, 1, 3))}, "scale"),
    ],
)
def test_marks_that_measure_nothing_are_told_at_their_place(wrong, at):
    with pytest.raises(Unmakeable) as told:
        read_back(marked(straight, drawn(straight), **wrong), PRACTICE)
    assert told.value.at == at


def test_the_drawn_picture_is_one_that_the_workshop_takes():
    from fuseau.files.pictures import decode_picture

    content = io.BytesIO()
    drawn(tilted).save(content, "PNG")
    assert decode_picture(content.getvalue(), "back.png").width_px == WIDE
