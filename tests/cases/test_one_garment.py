"""Told cases of one garment: all that is said of it, drawn or printed speaks of the same one (model, 8 to 16, 19)."""

import numpy as np
import pytest
from shapely.geometry import LineString, Point

from fuseau.craft.wearer.silhouette import half_width, laced_ratio
from fuseau.files.pieces import pattern_pieces
from tests.cases.told import by_hand
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan


def leaning(build):
    """CB runs 16 mm in from top line to hem, CF 12 mm from hem to top line."""
    build = by_hand(kind="trim", edge="CB", amount_mm=0, hem_mm=16)(build)
    return by_hand(kind="trim", edge="CF", amount_mm=12, hem_mm=0)(build)


@pytest.mark.parametrize("front", ["busk", "lacing"])
def test_holes_and_bones_lie_as_far_from_a_leaning_edge_at_every_height(front):
    build = leaning(edited(built("overbust corset"), front__opening=front))
    planned = plan(build)
    panels = planned.pattern.panels
    cb, cf = LineString(panels[-1].cb_edge), LineString(panels[0].cf_edge)
    assert abs(panels[-1].cb_edge[0][0] - panels[-1].cb_edge[-1][0]) > 14
    for placed in (planned.holes.right, planned.holes.left):
        for fold, places in ((cb, placed.behind), (cf, placed.in_front)):
            assert all(
                fold.distance(Point(place)) == pytest.approx(planned.holes.inset_mm, abs=0.05) for place in places
            )
        assert [z for _, z in placed.behind] == list(planned.holes.z_mm)
    layout = planned.holes.edge_layout
    away = {"CB outer": layout.outer_mm, "CB inner": layout.inner_mm}
    beside = [bone for bone in planned.bones if bone.channel in away]
    assert len(beside) == 2
    for bone in beside:
        assert all(cb.distance(Point(place)) == pytest.approx(away[bone.channel], abs=0.1) for place in bone.path[2:-2])
    printed = {
        piece.name: [one.centre for one in piece.strokes if one.kind == "hole"]
        for piece in pattern_pieces(build, planned)
    }
    for fold, name, rows in (
        (cb, f"panel {len(panels)}", planned.holes.z_mm),
        (cf, "panel 1", planned.holes.front_z_mm),
    ):
        assert len(printed[name]) == len(rows)
        assert all(
            fold.distance(Point(centre)) == pytest.approx(planned.holes.inset_mm, abs=0.05) for centre in printed[name]
        )


def test_a_frill_along_what_is_at_hand_is_cut_in_as_many_strips_as_make_it_full():
    frill = {"key": "h1", "name": "frill", "tiers": [{"depth_mm": 60}], "strips": "along", "at_hand_mm": 1200}
    build = edited(built("underbust corset"), trims__hanging=[frill])
    (shown,) = plan(build).trims.hanging
    (cut,) = shown.tiers
    assert shown.at_hand
    assert cut.strips > 1
    assert cut.strip_mm <= 1200.5
    assert shown.cloth_mm <= 1200.5


@pytest.mark.parametrize(
    ("kind", "pads"),
    [("cincher", []), ("underbust corset", []), ("longline corset", [{"level": "high_hip", "thick_mm": "20 mm"}])],
)
def test_what_her_shape_holds_is_of_the_whole_height_that_the_garment_covers(kind, pads):
    """A cincher ends between the levels measured: what lies between them and its edges holds as well; pads count."""
    planned = plan(edited(built(kind), pads=pads))
    worn = planned.final
    z, sewn = planned.drafted.shape.lacing_edge
    girth = sewn + worn.stretch_mm + np.array(worn.gap_mm) - worn.take_up_mm
    tension = np.array(worn.pressure_kpa) * girth / (2 * np.pi)
    middle = (tension[1:] + tension[:-1]) / 2
    assert worn.shape_holds_n == pytest.approx(float(-middle @ np.diff(girth)) / 1000, rel=0.09)  # pressure is on her, under the pads
    assert worn.shape_holds_n > 0


def test_as_drawn_a_waist_that_is_squeezed_past_what_it_gives_gets_no_rounder():
    """Lean flesh gives 10 %: drawn at 27 %, the figure that is turned and the figure that is worn have one width."""
    at_most, beyond = (half_width(700 * (1 - share), laced_ratio(1.35, share / 0.10)) for share in (0.10, 0.27))
    assert beyond / at_most == pytest.approx(0.73 / 0.90)
