"""Pictures read against the wearer: marked widths, what can't be told, and cautions before the numbers."""

import math

import pytest

from fuseau.commands.fields import change
from fuseau.craft.wearer.silhouette import seen_width
from fuseau.planning.pictures.drawn import read_drawn, read_together
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

SAY = Words("cm")


DOWN = {"shoulders": 0.1, "chest": 0.15, "bust": 0.2, "underbust": 0.3, "waist": 0.4, "high hip": 0.5, "hip": 0.6}


def read(*across, kind="longline corset", turned=0, stays=None, like=None, about=None, **fields):
    marks = [
        {"kind": f"{name} across", "points": [[0.5 - wide / 2, DOWN[name]], [0.5 + wide / 2, DOWN[name]]]}
        for name, wide in across
    ]
    picture = {"id": "a" * 64, "width_px": 640, "height_px": 900, "marks": marks, "turned_deg": turned, "stays": stays}
    picture |= about or {}
    build = edited(built(kind), brief__pictures=[picture], **fields)
    if like is not None:
        build = build.model_copy(update={"target": like.target, "pads": like.pads})
    return read_drawn(build, plan(build), build.brief.pictures[0])


def test_a_narrow_drawn_waist_is_squeezed_within_the_limit_and_padded():
    found = read(("waist", 0.25), ("hip", 0.42))
    ways = {one.way: one for one in found.found.ways}
    assert ways["within the limits"].reduction_share <= found.limit_share + 1e-9
    assert ways["no squeeze"].padding_mm["hip"] > ways["within the limits"].padding_mm.get("hip", 0)
    assert found.found.drawn_share == pytest.approx(0.25 / 0.42)
    again = read(("waist", 0.125), ("hip", 0.21))  # half as large on the picture
    assert [one.reduction_share for one in again.found.ways] == [one.reduction_share for one in found.found.ways]


def test_past_the_limit_and_nobodys_proportions_are_said():
    said = [Words("cm")(one) for one in read(("waist", 0.1), ("hip", 0.4)).says]
    assert any("past the" in one and "ask a doctor" in one for one in said)
    assert any(one.startswith("Nobody has these proportions") for one in said)


@pytest.mark.parametrize("softness", ["lean", "average", "soft"])
@pytest.mark.parametrize("new", [True, False])
def test_a_way_within_the_limits_is_called_neither_firm_nor_much_once_it_is_picked(softness, new):
    fields = {"wearer__softness": softness, "wearer__new_to_lacing": new}
    found = read(("waist", 0.2), ("hip", 0.42), **fields)
    share = next(one for one in found.found.ways if one.way == "within the limits").reduction_share
    assert share <= found.limit_share + 1e-9
    aimed = edited(
        built("longline corset"), target__job="reduction_share", target__reduction_percent=100 * share, **fields
    )
    said = {one.code for one in plan(aimed).findings if one.stage == "pattern" and one.severity != "advice"}
    assert not said & {"waist_firm", "reduction", "reduction_much", "reduction_strong"}


def test_a_way_that_is_picked_is_so_and_asks_for_nothing_more():
    for job in ("reduction", "none", "closed_waist"):
        fields = {
            "target__job": job,
            "target__closed_waist_mm": "60",
            "pads": [{"level": "hip", "place": "back", "thick_mm": 9}, {"level": "high_hip", "thick_mm": 11}],
        }
        picture = read(("waist", 0.25), ("hip", 0.42), **fields)
        for way in ("no squeeze", "within the limits"):
            build = edited(built("longline corset"), **fields)
            made = change(build, list(picture.makes_so[way]), "cm")
            again = read(("waist", 0.25), ("hip", 0.42), like=made)
            assert again.makes_so[way] == ()
            kept = {(pad.level, pad.place) for pad in made.pads}
            assert {("hip", "back"), ("high_hip", "sides")} <= kept  # her own stays


def test_what_the_costume_has_to_do_is_told_where_padding_may_not():
    found = read(("waist", 0.25), ("hip", 0.42), ("bust", 0.6), kind="overbust corset", stays="underbust")
    alone = found.rest["as drawn"]
    assert {one.code for one in alone} <= {
        "drawn.rest.skirt",
        "drawn.rest.shoulders",
        "drawn.rest.wider",
        "drawn.rest.narrower",
    }
    assert any(one.code == "drawn.rest.shoulders" for one in alone)


def test_what_is_missing_or_turned_or_thin_is_told():
    assert read() is None
    assert read(("waist", 0.25)).fault.code == "drawn.too_few"
    assert read(("hip", 0.4), ("underbust", 0.3)).fault.code == "drawn.too_few"
    assert read(("waist", 0.25), ("hip", 0.4), turned=80).fault.code == "drawn.turned"
    assert read(("waist", 0.001), ("hip", 0.4)).fault.code == "drawn.thin"
    partly = read(("waist", 0.25), ("hip", 0.4), ("bust", 0.4))
    assert partly.unknown == ("bust",)
    assert partly.found is not None


def test_what_stays_sets_the_scale_and_is_not_padded():
    found = read(("waist", 0.25), ("hip", 0.42), ("underbust", 0.3), stays="underbust")
    assert found.found.stays == "underbust"
    assert all("underbust" not in one.padding_mm for one in found.found.ways)


def test_without_measures_nothing_is_told_of_her():
    from fuseau.document.build import Build

    build = edited(Build(), brief__pictures=[])
    assert plan(build).body is None


def pictures(*told, **fields):
    """A build with pictures of a figure whose widths are told, each turned and scaled as it is."""
    body = {level.name: level for level in plan(built("longline corset")).body}
    shown = []
    for i, (widths, turn, scale, role) in enumerate(told):
        marks = [
            {"kind": f"{name} across", "points": [[0.5 - wide / 2, DOWN[name]], [0.5 + wide / 2, DOWN[name]]]}
            for name, across in widths.items()
            for wide in [scale * float(seen_width(across / 2, body[name].width_to_depth, turn))]
        ]
        sizes = {"id": f"{i:x}" * 64, "width_px": 640, "height_px": 900}
        shown.append({**sizes, "marks": marks, "turned_deg": turn, "role": role})
    return edited(built("longline corset"), brief__pictures=shown, **fields)


def test_pictures_that_show_the_same_figure_say_the_same_together():
    widths = {"waist": 0.25, "hip": 0.42, "underbust": 0.3}
    same = pictures((widths, 0, 1.0, "reference"), (widths, 45, 0.5, "reference"), (widths, 20, 1.4, "reference"))
    together = read_together(same, plan(same))
    assert (together.picture, together.together) == ("", 3)
    assert all(spread < 1e-6 for spread in together.spreads.values())
    alone = read_drawn(same, plan(same), same.brief.pictures[0])
    assert together.found.drawn_share == pytest.approx(alone.found.drawn_share)
    assert together.found.drawn_spread < alone.found.drawn_spread  # three know more than one
    for one, other in zip(together.found.ways, alone.found.ways, strict=True):  # sure marks count for more
        assert one.reduction_share == pytest.approx(other.reduction_share, abs=0.006)
        assert one.padding_mm == pytest.approx(other.padding_mm, abs=1.5)


def test_pictures_that_differ_are_averaged_and_say_by_how_much():
    one, other = {"waist": 0.24, "hip": 0.42}, {"waist": 0.28, "hip": 0.42, "underbust": 0.33}
    build = pictures((one, 0, 1.0, "reference"), (other, 0, 0.7, "reference"), ({"waist": 0.1}, 0, 1, "reference"))
    together = read_together(build, plan(build))
    assert together.together == 2  # the third tells no proportion
    doubt = [(0.24**-2 + 0.42**-2), (0.28**-2 + 0.42**-2) / 0.7**2]  # each mark's ends are as unsure, whatever its size
    logs = [math.log(0.24 / 0.42), math.log(0.28 / 0.42)]
    mean = sum(log / one for log, one in zip(logs, doubt, strict=True)) / sum(1 / one for one in doubt)
    assert together.found.drawn_share == pytest.approx(math.exp(mean), rel=1e-6)
    assert together.spreads["waist"] > 0.05
    assert "underbust" not in together.spreads  # only one shows it
    sketch = pictures((one, 0, 1.0, "reference"), (other, 0, 1.0, "sketch"))
    assert read_together(sketch, plan(sketch)) is None


def marks(*told):
    """Marks across, each (level, from, to, how far down)."""
    return [
        {"kind": f"{name} across", "points": [[left, down], [right, down + 0.01]]} for name, left, right, down in told
    ]


def test_what_is_marked_twice_is_averaged_and_less_in_doubt():
    once = read(("waist", 0.25), ("hip", 0.42))
    waists = [("waist", 0.375, 0.625, 0.4), ("waist", 0.37, 0.63, 0.4), ("waist", 0.38, 0.62, 0.4)]
    often = read(about={"marks": marks(*waists, ("hip", 0.29, 0.71, 0.6))})
    assert often.found.drawn_share == pytest.approx(once.found.drawn_share)
    assert often.found.drawn_spread < once.found.drawn_spread
    apart = [("waist", 0.375, 0.625, 0.4), ("waist", 0.33, 0.67, 0.4), ("waist", 0.42, 0.58, 0.4)]
    unsure = read(about={"marks": marks(*apart, ("hip", 0.29, 0.71, 0.6))})
    assert unsure.found.drawn_spread > 2 * once.found.drawn_spread
    drawn = {one.way: one for one in unsure.found.ways}["as drawn"]
    assert drawn.spread_share > {one.way: one for one in once.found.ways}["as drawn"].spread_share > 0.01


def test_a_contour_on_film_is_surer_than_a_drawn_line_and_its_wearer_was_somebody():
    told = [("waist", 0.45, 0.55, 0.4), ("hip", 0.3, 0.7, 0.6)]
    drawn, film = (read(about={"marks": marks(*told), "made": made}) for made in ("drawn", "filmed"))
    assert film.found.drawn_spread < drawn.found.drawn_spread
    assert "drawn.nobody" in {one.code for one in drawn.says}
    assert "drawn.filmed_far" in {one.code for one in film.says}


def test_a_line_beside_the_figure_is_left_out_and_levels_the_wrong_way_round_are_told():
    good = [("waist", 0.38, 0.62, 0.4), ("hip", 0.29, 0.71, 0.6)]
    beside = read(about={"marks": marks(*good, ("underbust", 0.5, 0.65, 0.3))})
    assert beside.found.drawn_share == pytest.approx(read(about={"marks": marks(*good)}).found.drawn_share)
    assert SAY(beside.says[0]).startswith("The line across the underbust lies beside the others")
    alone = read(about={"marks": marks(good[0], ("hip", 0.6, 0.9, 0.6))})
    assert (alone.found, alone.fault.code) == (None, "drawn.too_few")
    assert [one.code for one in alone.says] == ["drawn.one_side"]
    crossed = read(about={"marks": marks(good[0], ("hip", 0.29, 0.71, 0.2))})
    assert SAY(crossed.fault) == "The hip is marked above the waist: give them the other way round."


def test_shoulders_and_chest_are_levels_and_shoulder_pads_follow():
    shown = [("shoulders", 0.55), ("waist", 0.25), ("hip", 0.36)]
    without = read(*shown)
    assert without.unknown == ("shoulders",)
    known = read(*shown, wearer__shoulders_mm="101")
    assert known.unknown == ()
    ways = {one.way: one for one in known.found.ways}
    assert 3 <= ways["no squeeze"].padding_mm["shoulders"] <= 25
    build = edited(built("longline corset"), wearer__shoulders_mm="101")
    made = change(build, list(known.makes_so["no squeeze"]), "cm")
    assert "shoulders" in {pad.level for pad in made.pads}
    padded, bare = (
        plan(made),
        plan(made.model_copy(update={"pads": tuple(p for p in made.pads if p.level != "shoulders")})),
    )
    pad = next(one for one in padded.pads if one.level == "shoulders")
    assert (pad.name, pad.count, pad.girth_mm) == ("shoulder pad", 2, 0)
    assert pad.wide_mm > pad.high_mm > 50
    assert padded.aim == bare.aim  # it is worn over the garment, and presses nobody
    chest = read(("chest", 0.34), ("waist", 0.25), ("hip", 0.42), kind="overbust corset")
    assert chest.unknown in ((), ("high_bust",))
    assert chest.found is not None


@pytest.mark.parametrize("turn", [20, 45])
def test_a_figure_turned_either_way_shows_the_same_widths(turn):
    one, other = (read(("waist", 0.25), ("hip", 0.42), turned=sign * turn) for sign in (1, -1))
    assert one.found == other.found
