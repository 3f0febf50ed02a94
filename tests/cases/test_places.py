"""What she says of a place stays at that place: told cases over all kinds, alone and in twos (model, 3, 5 and 6)."""

from typing import Any

import numpy as np
import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from pydantic import ValidationError

from fuseau.commands.fields import change
from fuseau.commands.fittings import log_fitting, set_line
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.pattern.places import places_of
from fuseau.craft.pattern.refit import refit
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.stand_ins.rehearsal import fit_on_stand
from fuseau.wording.faults import faults
from tests.cases.test_told import making_says_the_same, one_verdict
from tests.cases.told import DAY, Told, accepted, cut, holds, pinned, read, upwards, wished
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan
from tests.saying import said

KINDS = tuple(name for name, kind in GARMENT_KINDS.items() if not kind.tied)
ZIPPED = {"back__laced": False, "front__opening": "zip", "front__line": "CB"}
BELOW = {"from_mm": -30, "to_mm": -90}


def pinch(seam: int, amount_mm: float, low: float = -90, high: float = -30, **more: Any) -> dict[str, Any]:
    return {"seam": seam, "from_mm": high, "to_mm": low, "amount_mm": amount_mm, **more}


def off(view: str, z_mm: float, off_mm: float, across: float = 0.5, **more: Any) -> dict[str, Any]:
    return {"view": view, "z_mm": z_mm, "across": across, "word": "stands off", "off_mm": off_mm, **more}


def digs(view: str, z_mm: float, across: float = 0.5, **more: Any) -> dict[str, Any]:
    return {"view": view, "z_mm": z_mm, "across": across, "word": "digs", **more}


def moved(before: Pattern, after: Pattern) -> tuple[np.ndarray, np.ndarray]:
    """Heights from hem to top line, and by how much each panel of the right half is wider there, (heights, panels)."""
    z = np.arange(min(before.hem.heights()), max(before.top.heights()), 5.0)
    return z, after.shape.widths(z) - before.shape.widths(z)


def only_at(seams: set[int], low: float, high: float, half_mm: float):
    """The proposed pattern differs from the version at the panels beside these seams, between these heights alone."""

    def check(build: Build, planned: Plan) -> None:
        assert planned.proposal is not None
        z, wider = moved(build.current.pattern, planned.proposal.pattern)
        beside = {panel for seam in seams for panel in (seam - 1, seam)}
        for panel in range(wider.shape[1]):
            inside = (z > low) & (z < high) if panel in beside else np.zeros(len(z), dtype=bool)
            assert np.abs(wider[~inside, panel]).max() < 0.05, panel
        whole = wider.sum(axis=1)
        assert whole[np.argmax(np.abs(whole))] == pytest.approx(half_mm, abs=0.3)

    return check


def half_only(half: str, half_mm: float):
    """One half changes by so much at its widest, and the other not at all."""

    def check(build: Build, planned: Plan) -> None:
        before, after = build.current.pattern, planned.proposal.pattern
        sides = {"right": after, "left": after.left_pattern}
        for name, pattern in sides.items():
            _, wider = moved(before, pattern)
            whole = wider.sum(axis=1)
            wanted = half_mm if name == half else 0.0
            assert whole[np.argmax(np.abs(whole))] == pytest.approx(wanted, abs=0.3), name

    return check


def side_seam_moved(mm: float):
    """The side seam lies so much further back at every level, and no girth differs."""

    def check(build: Build, planned: Plan) -> None:
        before, after = build.current.pattern.shape, planned.proposal.pattern.shape
        z = np.linspace(-60, 60, 9)
        assert np.allclose(after.front_half(z) - before.front_half(z), mm, atol=0.3)
        assert np.allclose(after.sewn_girth(z), before.sewn_girth(z), atol=0.3)

    return check


def mends(*codes: str):
    """These mends are offered, and each can be made: the plan follows from it."""

    def check(build: Build, planned: Plan) -> None:
        offered = {one.mend.label.code: one.mend for one in planned.findings if one.mend}
        for code in codes:
            assert code in offered, offered
            assert not plan(change(build, list(offered[code].changes), "cm")).unmakeable

    return check


def nothing_else(build: Build, planned: Plan) -> None:
    """What digs at a place says nothing of her girth, and nothing is changed unasked."""
    assert planned.proposal is None


CASES = {
    # --- pinched and slashed
    **{
        f"{kind}: 10 mm pinned out of 2·3 below the waist": Told(
            kind,
            (cut, read(pinches=[pinch(2, 10, -70, -20)])),
            seams={(2, None): (-10, -10)},
            also=only_at({2}, -70, -20, -10),
            says=("10 mm taken in at 2·3, as pinned",),
        )
        for kind in KINDS
    },
    "underbust: pinned at 3·4 between 3 and 9 cm below the waist": Told(
        "underbust corset",
        (cut, read(pinches=[pinch(3, 10)])),
        change={"waist": (0, 0), "high_hip": (-6, 0), "underbust": (0, 0)},
        gap_mm=(49, 51),
        also=only_at({3}, -90, -30, -10),
    ),
    "underbust: pinned up to the top line runs out there": Told(
        "underbust corset",
        (cut, read(pinches=[pinch(2, 8, 40, 105)])),
        change={"waist": (0, 0), "underbust": (-16.5, -10)},
        also=only_at({2}, 40, 200, -8),
    ),
    "longline: pinned down to the hem runs out there": Told(
        "longline corset",
        (cut, read(pinches=[pinch(4, 8, -200, -60)])),
        change={"waist": (0, 0), "underbust": (0, 0)},
        also=only_at({4}, -300, -60, -8),
    ),
    "longline: slashed open over the hip": Told(
        "longline corset",
        (cut, read(pinches=[pinch(3, -12, -130, -60)])),
        change={"waist": (0, 0)},
        seams={(3, None): (12, 12)},
        says=("12 mm let out at 3·4, as slashed",),
    ),
    "overbust: pinned at two seams adds up": Told(
        "overbust corset",
        (cut, read(pinches=[pinch(2, 6), pinch(4, 8)])),
        seams={(2, None): (-6, -6), (4, None): (-8, -8)},
        also=only_at({2, 4}, -90, -30, -14),
    ),
    "overbust: pinned at one seam, high and low": Told(
        "overbust corset",
        (cut, read(pinches=[pinch(3, 6, -90, -30), pinch(3, 8, 60, 120)])),
        change={"waist": (0, 0), "ribs": (-4, 0)},
    ),
    "overbust: pinned in here and slashed there": Told(
        "overbust corset",
        (cut, read(pinches=[pinch(2, 6), pinch(5, -6)])),
        seams={(2, None): (-6, -6), (5, None): (6, 6)},
        change={"high_hip": (-1, 1), "waist": (0, 0)},
    ),
    "underbust: pinned on her left alone parts the halves": Told(
        "underbust corset",
        (cut, read(pinches=[pinch(3, 10, half="left")])),
        also=half_only("left", -10),
        says=("the halves differ",),
    ),
    "longline: slashed on her right alone": Told(
        "longline corset", (cut, read(pinches=[pinch(3, -8, half="right")])), also=half_only("right", 8)
    ),
    "underbust: pinned, and the gap 25 mm too wide: each where it belongs": Told(
        "underbust corset",
        (cut, read(25, pinches=[pinch(3, 10)])),
        change={"waist": (3, 12), "underbust": (8, 20)},
        seams={(3, None): (-10, -10)},
    ),
    "underbust: pinned, made and read as expected: nothing more": Told(
        "underbust corset", (cut, read(pinches=[pinch(3, 10)]), accepted, read()), change=None, gap_mm=(48, 52)
    ),
    "bodice without a lace: pinned behind the side": Told(
        "boned bodice",
        (cut, pinned(None, pinches=[pinch(2, 8)])),
        wishes=ZIPPED,
        seams={(2, None): (-8, -8)},
        also=only_at({2}, -90, -30, -8),
    ),
    "collar: pinned at a seam": Told(
        "neck corset",
        (cut, read(count=3, pinches=[pinch(1, 4, 20, 50)])),
        seams={(1, None): (-4, -4)},
        change={"neck_base": (0, 0)},
    ),
    # --- stands off
    "overbust: gapes 12 mm in front at the bust": Told(
        "overbust corset",
        (cut, read(taps=[off("front", 160, 12)])),
        change={"bust": (-12.5, -11.5), "underbust": (0, 0), "waist": (0, 0)},
        also=only_at({1}, 105, 260, -6),
    ),
    "overbust: so much in front that one seam does not take it": Told(
        "overbust corset",
        (cut, read(taps=[off("front", 160, 30)])),
        change={"bust": (-30.5, -29.5), "underbust": (0, 0)},
        also=only_at({1, 2}, 105, 260, -15),
    ),
    "longline: stands off at the side below": Told(
        "longline corset",
        (cut, read(taps=[off("side", -100, 10)])),
        change={"waist": (0, 0), "underbust": (0, 0)},
        also=only_at({3}, -145, -55, -5),
    ),
    "longline: stands off behind below": Told(
        "longline corset",
        (cut, read(taps=[off("back", -95, 10)])),
        change={"waist": (0, 0), "underbust": (0, 0)},
        also=only_at({5}, -140, -50, -5),
    ),
    "strapless: stands off on her left in front alone": Told(
        "strapless bodice", (cut, read(taps=[off("front", 150, 8, 0.6, half="left")])), also=half_only("left", -8)
    ),
    "overbust: it stands off in front, and is pinned at the side": Told(
        "overbust corset",
        (cut, read(taps=[off("front", 160, 12)], pinches=[pinch(3, 6)])),
        seams={(3, None): (-6, -6), (1, None): (-6, -6)},
    ),
    # --- digs
    "longline: digs on the hip bone": Told(
        "longline corset",
        (cut, read(taps=[digs("front", -95, 0.2)])),
        change=None,
        says=("Her hip bone lies there", "more the place than her girth"),
        never=("does not go with the rest",),
        also=mends("mend.let_out_there", "mend.pad_there"),
    ),
    "overbust: digs at the hem on her left": Told(
        "overbust corset",
        (cut, read(taps=[digs("side", -105, half="left")])),
        change=None,
        says=("on her left", "The hem ends there"),
        also=mends("mend.edge_there.hem", "mend.let_out_there", "mend.shorter_bone", "mend.softer_bone"),
    ),
    "underbust: digs under the top line behind": Told(
        "underbust corset",
        (cut, read(taps=[digs("back", 100, 0.3)])),
        says=("The top line ends there",),
        also=mends("mend.edge_there.top"),
    ),
    "longline: digs at the hip bone and stands off in front: both, each in its place": Told(
        "longline corset",
        (cut, read(taps=[digs("side", -95, 0.4), off("front", 80, 8)])),
        change={"waist": (0, 0)},
        says=("it dug at the side",),
    ),
    # --- the seat
    **{
        f"{kind}: the side seam 14 mm to the front": Told(
            kind,
            (cut, read(swings_mm=14)),
            says=("the side seam hung 14 mm to the front",),
            also=side_seam_moved(14),
        )
        for kind in ("underbust corset", "longline corset", "overbust corset")
    },
    "underbust: the side seam moved, and read as expected": Told(
        "underbust corset", (cut, read(swings_mm=-9), accepted, read()), change=None
    ),
    "underbust: its waist sat 16 mm high": Told(
        "underbust corset",
        (cut, read(rides_mm=16)),
        says=("its waist sat 1.6 cm above hers", "read there"),
        also=mends("mend.waist_down", "mend.let_out_level"),
    ),
    "longline: high on two evenings": Told(
        "longline corset",
        (cut, read(rides_mm=16), read(rides_mm=13)),
        says=("It did so at an earlier fitting too",),
        also=mends("mend.waist_down"),
    ),
    "longline: high, and drawn together below": Told(
        "longline corset", (cut, read(upwards(14, -14), rides_mm=16)), says=("lace it from the waist outward",)
    ),
    "underbust: sat 12 mm low": Told(
        "underbust corset", (cut, read(rides_mm=-12)), says=("1.2 cm below hers",), also=mends("mend.waist_up")
    ),
    "underbust: sat 3 mm high: that is where it should": Told(
        "underbust corset", (cut, read(rides_mm=3)), never=("its waist sat",)
    ),
    # --- edges, and what she could not do
    "overbust: the top line 12 mm too high at the side": Told(
        "overbust corset",
        (cut, read(edges=[{"edge": "top", "place": "side", "off_mm": 12}])),
        change=dict.fromkeys(("high_hip", "waist", "ribs", "underbust"), (0, 0)),
        says=("top line or hem moved",),
        also=lambda build, planned: _edge_is("top", "side_mm", -12, build, planned),
    ),
    "longline: she can't sit": Told(
        "longline corset",
        (cut, read(moved=[{"test": "sit", "went": "not"}])),
        says=("can't sit",),
        also=mends("mend.raise_hem"),
    ),
    "longline: she can't sit, and nobody measured her lap": Told(
        "longline corset",
        (cut, wished(wearer__waist_to_lap_sitting_mm=None), read(moved=[{"test": "sit", "went": "hard"}])),
        says=("measure from her waist to it while she sits",),
    ),
    "overbust: she can't raise her arms": Told(
        "overbust corset",
        (cut, read(moved=[{"test": "raise arms", "went": "hard"}])),
        also=mends("mend.lower_top_at_side"),
    ),
    # --- words alone
    "bodice without a lace: all right everywhere": Told(
        "boned bodice",
        (
            cut,
            pinned(None, words=[{"level": one, "word": "right"} for one in ("high_hip", "waist", "ribs", "bust")]),
        ),
        wishes=ZIPPED,
        change=None,
        verdict=("one more mock-up", "cut the cloth"),
        never=("words alone say little",),
    ),
}


def _edge_is(end: str, field: str, by_mm: float, build: Build, planned: Plan) -> None:
    was, now = (getattr(getattr(one, end), field) for one in (build.current.pattern, planned.proposal.pattern))
    assert now - was == pytest.approx(by_mm)


@pytest.mark.parametrize("case", CASES)
def test_she_is_told_what_she_should_be(case):
    told = CASES[case]
    build = told.build()
    planned = holds(told, build)
    making_says_the_same(build, planned)
    one_verdict(build, planned)


# --- quiet elsewhere


@st.composite
def statements(draw) -> dict[str, Any]:
    """A pinch or a touch somewhere on a longline or an overbust."""
    low = draw(st.integers(-110, 40))
    if draw(st.booleans()):
        amount = draw(st.sampled_from([-12, -6, -3, 3, 6, 10]))
        half = draw(st.sampled_from(["both", "left", "right"]))
        return {"pinches": [pinch(draw(st.integers(1, 5)), amount, low, low + draw(st.integers(20, 70)), half=half)]}
    view = draw(st.sampled_from(["front", "side", "back"]))
    return {"taps": [off(view, low, draw(st.integers(3, 24)), draw(st.floats(0.2, 0.8)))]}


@settings(max_examples=15, deadline=None, suppress_health_check=list(HealthCheck))
@given(kind=st.sampled_from(["longline corset", "overbust corset"]), statement=statements())
def test_no_statement_of_a_place_changes_anything_outside_it(kind, statement):
    build = read(**statement)(cut(built(kind)))
    planned = plan(build)
    before, after = build.current.pattern, planned.proposal.pattern
    z = np.arange(min(before.hem.heights()), max(before.top.heights()), 5.0)
    girth = after.shape.sewn_girth(z) - before.shape.sewn_girth(z)
    lines = [one for one in planned.proposal.lines if one.level is None]
    assert lines == list(planned.proposal.lines)
    low, high = min(one.low_mm for one in lines), max(one.high_mm for one in lines)
    assert np.abs(girth[(z < low) | (z > high)]).max(initial=0.0) < 0.05
    said_mm = sum((one.cf_side_mm + one.cb_side_mm) * (2 if one.half == "both" else 1) for one in lines)
    assert abs(girth[np.argmax(np.abs(girth))]) <= abs(said_mm) + 0.3
    assert planned.body.girths_mm == pytest.approx(plan(read()(cut(built(kind)))).body.girths_mm, abs=0.3)
    assert planned.proposal.mock_up.shape.mean_mm == pytest.approx(planned.mock_up.shape.mean_mm, abs=1.0)


# --- her own amounts, later versions, other cuts


def tried(kind: str = "underbust corset", **fields: Any) -> Build:
    return read(**fields)(cut(built(kind)))


def test_a_line_at_a_place_is_set_and_refused_and_put_back():
    build = tried(pinches=[pinch(3, 10)])
    (line,) = plan(build).proposal.lines
    where = {"seam": 3, "half": "both", "peak_mm": line.z_mm}
    mine = set_line(build, plan(build), {**where, "cf_side_mm": "-3 mm", "cb_side_mm": "-3 mm"}, "cm")
    (now,) = plan(mine).proposal.lines
    assert (now.cf_side_mm, now.worked_out_cf_mm, now.by_hand) == (-3.0, -5.0, True)
    only = plan(mine).proposal.pattern
    assert places_of(only)[0].amount_mm == pytest.approx(-6)
    refused = set_line(mine, plan(mine), {**where, "cf_side_mm": 0, "cb_side_mm": 0}, "cm")
    assert places_of(plan(refused).proposal.pattern) == []
    assert plan(refused).proposal.lines[0].worked_out_cf_mm == -5.0
    back = set_line(refused, plan(refused), where, "cm")
    assert plan(back).proposal.lines[0].cf_side_mm == -5.0


def test_a_place_stays_when_girths_change_and_is_carried_to_another_number_of_panels():
    build = accepted(tried(pinches=[pinch(3, 10)]))
    assert [one.amount_mm for one in places_of(build.current.pattern)] == [-10.0]
    wider = plan(wished(target__gap_mm=40)(build))
    assert [one.amount_mm for one in places_of(wider.proposal.pattern)] == [-10.0]
    more = plan(wished(draft__panels=7)(build))
    (carried,) = places_of(more.proposal.pattern)
    assert (carried.amount_mm, carried.peak_mm) == (-10.0, -60.0)
    places = more.proposal.pattern.shape.places
    assert places[2 * carried.seam - 1] == pytest.approx(build.current.pattern.shape.places[5], abs=0.25)
    girth = more.proposal.pattern.shape.sewn_girth(np.array([0.0]))
    assert girth == pytest.approx(
        build.current.pattern.shape.sewn_girth(np.array([0.0])), abs=1.5
    )  # more seams take up more


def test_the_next_mock_up_asks_for_the_place_again():
    build = tried(pinches=[pinch(3, 10)])
    for one in (build, accepted(build)):
        asked = [said(look) for look in plan(one).mock_up_plan.look_at]
        assert any("3·4" in look and "does it lie on now" in look for look in asked), asked


def test_a_mend_of_a_place_is_made_and_not_offered_again():
    build = tried("longline corset", taps=[digs("front", -95, 0.2)])
    offered = next(one.mend for one in plan(build).findings if one.code == "digs_at_place")
    made = change(build, list(offered.changes), "cm")
    after = plan(made)
    assert "digs_at_place" not in {one.code for one in after.findings}
    (line,) = after.proposal.lines
    assert line.cf_side_mm + line.cb_side_mm == pytest.approx(6)
    assert after.proposal.final.shape.mean_mm == pytest.approx(after.final.shape.mean_mm, abs=1.0)


def test_a_moved_waist_takes_all_that_lies_on_it_along():
    build = tried(rides_mm=16)
    offered = {one.mend.label.code: one.mend for one in plan(build).findings if one.mend}
    made = accepted(change(build, list(offered["mend.waist_down"].changes), "cm"))
    before, after = build.current.pattern, made.current.pattern
    assert after.top.cf_mm - before.top.cf_mm == after.hem.cb_mm - before.hem.cb_mm == 16
    assert made.draft.waist_mm == 0


# --- what can't be


@pytest.mark.parametrize(
    ("pinches", "at", "words"),
    [
        ([pinch(0, 5)], "pinches.0.seam", "CF lies straight"),
        ([pinch(8, 5)], "pinches.0.seam", "CB lies straight"),
        ([pinch(9, 5)], "pinches.0.seam", "has no seam"),
        ([pinch(1, 60, -20, 20)], "pinches.0.amount_mm", "hold no more than"),
        ([pinch(3, 5), pinch(3, 6)], "pinches.1.amount_mm", "pinned twice"),
        ([pinch(3, 5), pinch(3, -6, -80, -20)], "pinches.1.amount_mm", "pinned in and slashed open"),
        ([pinch(3, 5), pinch(3, 6, half="left")], "pinches.1.amount_mm", "pinned twice"),
        ([pinch(3, 5, -400, -300)], "pinches.0.from_mm", "off the garment"),
        ([pinch(3, 5, 107, 119)], "pinches.0.from_mm", "off the garment"),
    ],
)
def test_what_no_panel_holds_is_said_where_it_was_written(pinches, at, words):
    build = cut(built("underbust corset", draft__panels=8))
    with pytest.raises(ValidationError) as refused:
        log_fitting(build, plan(build), {"pull": "close", "words": [], "pinches": pinches, "readings": []}, DAY, "cm")
    (fault, *_) = faults(refused.value)
    assert fault.at.endswith(at), fault
    assert words in fault.sentence


# --- followed on the dress stand, and on another body


@pytest.mark.parametrize("key", ["a", "b", "c", "d"])
def test_what_gapes_on_the_dress_stand_is_mended_there_at_the_next_fitting(key):
    build = cut(built("overbust corset").model_copy(update={"rehearsal": "kind"}))
    first = fit_on_stand(build, plan(build), key).model_dump(mode="json")
    gapes = [tap for tap in first["taps"] if tap["view"] == "front"]
    logged = log_fitting(build, plan(build), first, DAY, "cm")
    asked = [one for one in plan(logged).proposal.lines if one.seen == "stood off"]
    if not gapes:
        assert not [one for one in asked if one.seam <= build.current.pattern.front_panels]
        return
    taken = sum(one.cf_side_mm + one.cb_side_mm for one in asked if one.low_mm < gapes[0]["z_mm"] < one.high_mm)
    assert -2 * taken >= gapes[0]["off_mm"] - 1
    after = accepted(logged)
    again = fit_on_stand(after, plan(after), key).model_dump(mode="json")
    assert not [tap for tap in again["taps"] if tap["view"] == "front"]


def test_a_refitted_pattern_takes_its_places_along_with_the_levels():
    old = accepted(tried(pinches=[pinch(3, 10)]))
    taller = edited(old, wearer__high_hip__height_side_mm=115, wearer__hip__height_side_mm=240)
    bodies = [plan(one).body for one in (old, taller)]
    made = refit(old.current.pattern, *bodies, np.zeros(len(old.current.pattern.stations_named())), 50.0)
    (was,), (now,) = places_of(old.current.pattern), places_of(made)
    assert now.amount_mm == was.amount_mm
    before, after = (body["high_hip"].side_mm for body in bodies)
    assert now.peak_mm == pytest.approx(was.peak_mm * after / before, abs=0.1)


# --- no step

SWEPT = {
    "a pinch, by its amount": lambda x: {"pinches": [pinch(2, x, -60, -10)]},
    "a pinch, by where it ends, up to the top line": lambda x: {"pinches": [pinch(2, 8, 20, 44 + 4 * x)]},
    "a touch, by its height": lambda x: {"taps": [off("front", -40 + 6 * x, 10)]},
    "a touch, by what stands off": lambda x: {"taps": [off("front", 30, 2 * x)]},
    "a dig, by its height": lambda x: {"taps": [digs("side", -40 + 6 * x)]},
}


@pytest.mark.parametrize("kind", ["underbust corset", "longline corset"])
@pytest.mark.parametrize("said_of", SWEPT)
def test_what_is_said_of_a_place_is_answered_without_a_step(kind, said_of):
    build, fields = cut(built(kind)), SWEPT[said_of]
    start = build.current.pattern
    x, answers = np.arange(2, 12), []
    for one in (*x, *(x + 0.25)):
        planned = plan(read(**fields(float(one)))(build))
        answers.append(moved(start, planned.proposal.pattern if planned.proposal else start)[1])
    for before, after in zip(answers[: len(x)], answers[len(x) :], strict=True):
        assert np.abs(after - before).max() <= 2.0  # what is worth making begins so at one edge
