"""Lines on the flat garment: their lengths, where seams cross them, and what is not on it."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fuseau.craft.base.curves import length_of
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.trims.choices import TrimLine
from fuseau.craft.trims.lines import run_line
from tests.kinds import built
from tests.plans import plan

PLAN = plan(built("underbust corset"))
PANELS = PLAN.pattern.panels
CHANNELS = {bone.channel: (bone.panel, bone.path) for bone in PLAN.bones}


def run(**line):
    return run_line(TrimLine(**line), PANELS, CHANNELS, "trims.along.0")


@pytest.mark.parametrize(("on", "edge"), [("top line", "top"), ("hem", "hem")])
def test_an_edge_is_as_long_as_its_panels_together_and_every_seam_crosses_it_once(on, edge):
    found = run(on=on)
    assert found.length_mm == pytest.approx(sum(length_of(getattr(panel, edge)) for panel in PANELS))
    assert [one.seam for one in found.crossings] == ["1·2", "2·3", "3·4", "4·5", "5·6"]
    assert found.crossings[0].at_mm == pytest.approx(length_of(getattr(PANELS[0], edge)))
    assert [part.panel for part in found.parts] == [1, 2, 3, 4, 5, 6]


def test_seams_and_channels_run_from_the_top_down():
    for found in (run(on="seam", seam=2), run(on="channel", channel="2·3"), run(on="seam", seam=0)):
        (part,) = found.parts
        assert part.points[0][1] > part.points[-1][1]
    assert run(on="seam", seam=2).length_mm == pytest.approx(length_of(PANELS[1].cb_edge))
    assert run(on="seam", seam=0).length_mm == pytest.approx(length_of(PANELS[0].cf_edge))


def test_part_of_a_line_begins_and_ends_where_it_is_asked_to():
    whole = run(on="hem")
    part = run(on="hem", begins_mm=100, ends_mm=250)
    assert part.length_mm == 150
    assert part.at(0.0)[1] == pytest.approx(whole.at(100.0)[1], abs=0.01)
    assert part.at(150.0)[1] == pytest.approx(whole.at(250.0)[1], abs=0.01)
    assert [one.at_mm for one in part.crossings] == pytest.approx(
        [one.at_mm - 100 for one in whole.crossings if 100 < one.at_mm < 250]
    )


@given(st.floats(0, 20))
def test_a_line_inside_the_edge_stays_on_its_panels(inside):
    found = run(on="top line", in_mm=inside)
    for part in found.parts:
        panel = PANELS[part.panel - 1]
        xs = [x for x, _ in panel.outline]
        assert all(min(xs) - 1e-6 <= x <= max(xs) + 1e-6 for x, _ in part.points)
    assert found.length_mm == pytest.approx(run(on="top line").length_mm, rel=0.1)


def test_a_drawn_line_goes_on_across_the_seam():
    spots = [{"panel": 1, "x_mm": PANELS[0].waist[0][0] + 20, "z_mm": 0}]
    spots += [{"panel": 2, "x_mm": PANELS[1].waist[0][0] + 20, "z_mm": 0}]
    found = run(on="drawn", spots=spots)
    wide = PANELS[0].waist[1][0] - PANELS[0].waist[0][0]
    assert found.length_mm == pytest.approx(wide - 20 + 20, abs=0.5)
    assert [one.seam for one in found.crossings] == ["1·2"]
    assert found.crossings[0].at_mm == pytest.approx(wide - 20, abs=0.5)


@pytest.mark.parametrize(
    ("line", "at", "code"),
    [
        ({"on": "seam", "seam": 9}, "line.seam", "trim.no_seam"),
        ({"on": "channel", "channel": "9z"}, "line.channel", "trim.no_channel"),
        ({"on": "top line", "in_mm": 290}, "line.in_mm", "trim.off_panel"),
        ({"on": "hem", "begins_mm": 2900}, "line.begins_mm", "trim.begins_past"),
        (
            {"on": "drawn", "spots": [{"panel": 1, "x_mm": 1500, "z_mm": 0}, {"panel": 1, "x_mm": 10, "z_mm": 0}]},
            "line.spots.0",
            "trim.off_panel",
        ),
        (
            {
                "on": "drawn",
                "spots": [
                    {"panel": 1, "x_mm": PANELS[0].waist[0][0] + 9, "z_mm": 0},
                    {"panel": 4, "x_mm": PANELS[3].waist[0][0] + 9, "z_mm": 0},
                ],
            },
            "line.spots.1",
            "trim.leaps",
        ),
    ],
)
def test_a_line_off_the_garment_is_told_at_its_field(line, at, code):
    with pytest.raises(Unmakeable) as caught:
        run(**line)
    assert (caught.value.at, caught.value.message.code) == (f"trims.along.0.{at}", code)


def test_a_place_on_a_line_lies_on_it():
    found = run(on="waist")
    for share in (0, 0.3, 0.7, 1):
        panel, (x, z) = found.at(share * found.length_mm)
        (x0, z0), (x1, z1) = PANELS[panel - 1].waist
        off = abs((x1 - x0) * (z0 - z) - (x0 - x) * (z1 - z0)) / math.hypot(x1 - x0, z1 - z0)
        assert off < 0.01
