"""Told cases of one garment: all that is said of it, drawn or printed speaks of the same one (model, 8 to 16, 19)."""


import pytest
from shapely.geometry import LineString, Point

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
