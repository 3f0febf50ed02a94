"""Told cases of one garment: all that is said of it, drawn or printed speaks of the same one (model, 8 to 16, 19)."""

from io import BytesIO

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from pypdf import PdfReader
from shapely.geometry import LineString, Point, Polygon

from fuseau.commands.fields import change
from fuseau.commands.shelf import put
from fuseau.craft.base.lengths import format_length
from fuseau.craft.base.practice import Practice
from fuseau.craft.layout.at_hand import lay_quickly
from fuseau.craft.layout.strips import bias_strips
from fuseau.craft.making.steps import cut_bones_step
from fuseau.craft.materials.catalogue import BONES
from fuseau.craft.materials.minutes import MINUTES
from fuseau.craft.plies.methods import METHODS
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import LEVEL_LABELS
from fuseau.craft.wearer.silhouette import half_width, laced_ratio
from fuseau.document.shelf import Shelf
from fuseau.files.hardware_list import list_pdf
from fuseau.files.pieces import pattern_pieces
from fuseau.files.strips import bone_pieces
from fuseau.planning.asked.schools import cutting
from fuseau.planning.stages.cut import lay_ask, pieces_of, strips_of
from fuseau.planning.stages.make import steps_of
from fuseau.planning.stages.record import card
from fuseau.planning.told.cost import cost_of
from fuseau.planning.told.needs import needs_of
from fuseau.planning.workshop.shopping import Pool, want
from fuseau.wording import Words
from tests.any_builds import any_builds
from tests.cases.told import FINAL_CLOTH, by_hand, cut, finished, pinned, read, upwards
from tests.conftest import edited
from tests.kinds import ALL_KINDS, built
from tests.plans import plan


def printed(pdf: bytes) -> str:
    """The text of a PDF."""
    return "".join(page.extract_text() for page in PdfReader(BytesIO(pdf)).pages)


def round_at_waist(piece):
    """How wide a piece is at the waist, stitch line to stitch line, mm."""
    low, _, high, _ = Polygon(piece.stitch).intersection(LineString([(-2000, 0), (2000, 0)])).bounds
    return high - low


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
    _, sewn = planned.drafted.shape.lacing_edge
    girth = sewn + worn.stretch_mm + np.array(worn.gap_mm) - worn.take_up_mm
    tension = np.array(worn.pressure_kpa) * girth / (2 * np.pi)
    middle = (tension[1:] + tension[:-1]) / 2
    assert worn.shape_holds_n == pytest.approx(
        float(-middle @ np.diff(girth)) / 1000, rel=0.09
    )  # pressure is on her, under the pads
    assert worn.shape_holds_n > 0


def test_as_drawn_a_waist_that_is_squeezed_past_what_it_gives_gets_no_rounder():
    """Lean flesh gives 10 %: drawn at 27 %, the figure that is turned and the figure that is worn have one width."""
    at_most, beyond = (half_width(700 * (1 - share), laced_ratio(1.35, share / 0.10)) for share in (0.10, 0.27))
    assert beyond / at_most == pytest.approx(0.73 / 0.90)


@pytest.mark.parametrize(("mounted", "at"), [(None, (2, 3)), ("overlaid in one piece", (0, 6))])
def test_a_ply_that_goes_6_mm_further_round_is_cut_so_where_shears_can(mounted, at):
    """Of 6 mm over 24 edges none could be cut; two seams take them, and one piece its two ends."""
    build = built("underbust corset")
    over = {"role": "overlay", "cloth": "stretch_lace", "mounted": mounted}
    build = edited(build, layers__plies=[*(ply.model_dump(mode="json") for ply in build.layers.plies), over])
    planned = plan(build)
    ply = planned.layers.plies[-1]
    assert 5 < ply.grows_mm < 6
    assert ply.grows_at == at
    cut = [piece for piece in pieces_of(build, planned) if piece.panels]
    plain, grown = (2 * sum(round_at_waist(piece) for piece in cut if piece.ply == i) for i in (1, 3))
    assert grown - plain == pytest.approx(ply.grows_mm, rel=0.05)


def test_what_is_too_little_to_cut_is_left_out_and_nothing_is_to_be_minded():
    planned = plan(built("underbust corset"))
    lining, _, fashion = planned.layers.plies
    assert -3 < lining.grows_mm < -2
    assert lining.grows_at == ()
    assert 2 < fashion.grows_mm < 3
    assert fashion.grows_at == (3,)
    assert not [one for one in planned.findings if one.stage == "layers"]


@pytest.mark.parametrize("method", METHODS)
@pytest.mark.parametrize(("opening", "laced"), [("busk", True), ("none", True), ("zip", False)])
def test_minutes_of_seams_are_the_same_in_the_layers_and_in_the_steps(method, opening, laced):
    build = edited(built("overbust corset"), layers__method=method, front__opening=opening, back__laced=laced)
    planned = plan(build)
    steps: dict[str, float] = {}
    for step in steps_of(build, planned):
        for work, count in step.works:
            steps[work] = steps.get(work, 0.0) + MINUTES[work] * count
    seams = [work for work in planned.layers.minutes if "seam" in work]
    assert seams
    assert {work: planned.layers.minutes[work] for work in seams} == pytest.approx(
        {work: steps[work] for work in seams}
    )


def test_a_method_that_wants_a_lining_charges_for_none_that_is_not_there():
    build = built("underbust corset")
    unlined = [ply.model_dump(mode="json") for ply in build.layers.plies if ply.role != "lining"]
    build = edited(build, layers__plies=unlined, layers__method="floating lining")
    layers = plan(build).layers
    (chosen,) = [method for method in layers.methods if method.chosen]
    assert not chosen.adds_lining
    assert chosen.grams == pytest.approx(layers.grams)
    assert chosen.price == pytest.approx(layers.price)
    assert chosen.minutes == pytest.approx(sum(layers.minutes.values()))
    other = next(method for method in layers.methods if method.name == "bagged out")
    assert other.adds_lining
    assert other.price > chosen.price


def test_what_is_cut_beside_the_panels_weighs_and_costs():
    """The modesty panel and the facings of a front, and gussets, are cloth as the panels are."""
    build = built("underbust corset")
    bare = plan(edited(build, back__modesty="none", front__opening="none")).layers
    planned = plan(edited(build, back__modesty="floating")).layers
    assert [part.what for part in planned.beside] == ["modesty panel", "modesty panel", "modesty panel", "facing"]
    more = sum(part.grams for part in planned.beside)
    assert planned.grams - bare.grams == pytest.approx(more, rel=0.05)
    assert planned.price > bare.price
    gussets = by_hand(kind="gusset", seam=3, end="hem", width_mm=60, depth_mm=70)(build)
    plain = plan(by_hand(kind="trim", edge="CB", amount_mm=0)(build))
    assert plan(gussets).layers.grams > plain.layers.grams + 2


def test_in_all_is_one_sum_on_the_card_and_on_the_list():
    build = edited(
        built("underbust corset"), trims__along=[{"key": "t1", "name": "beads", "pitch_mm": 20, "price": 0.4}]
    )
    planned = plan(build)
    cost = cost_of(build, planned)
    told = {fact.name: fact.number for fact in card(build, planned).facts if fact.counted == "cost"}
    assert told.pop("in all, about") == pytest.approx(sum(told.values())) == pytest.approx(cost.in_all)
    assert f"{cost.in_all:.2f} in all" in printed(list_pdf(build, planned, "A4", "cm"))


def touched(planned, level, off_mm):
    at = {"z_mm": planned.body[level].side_mm, "across": 0.5, "word": "stands off", "off_mm": off_mm}
    return [{"view": view, **at} for view in ("front", "back")]


@pytest.mark.parametrize("level", ["bust", "underbust", "high_hip"])
@pytest.mark.parametrize("off_mm", [6, 12, 24])
def test_what_stands_off_by_level_is_taken_out_there_and_nowhere_else_typed_or_touched(level, off_mm):
    """With gaps as expected it is slack: no girth is believed otherwise, and no other level moves for it."""
    made = cut(built("overbust corset"))
    planned = plan(made)
    said = {"stand_offs": [{"level": level, "off_mm": off_mm}], "words": [{"level": level, "word": "stands off"}]}
    typed = plan(read(**said)(made))
    shown = plan(read(taps=touched(planned, level, off_mm / 2))(made))
    near = {"bust": "high_bust"}.get(level, level)
    for told in (typed, shown):
        changes = told.proposal.sewn_change_mm
        assert changes[level] == pytest.approx(-off_mm, abs=2.5)
        assert all(abs(mm) < 1 for name, mm in changes.items() if name not in (level, near))
        assert told.proposal.mock_up.shape.mean_mm == pytest.approx(planned.mock_up.shape.mean_mm, abs=1)
    assert typed.proposal.sewn_change_mm[level] == pytest.approx(shown.proposal.sewn_change_mm[level], abs=2.5)


@pytest.mark.parametrize("kind", ALL_KINDS)
@pytest.mark.parametrize("wide", [0, 25])
def test_a_reading_that_is_just_what_was_expected_changes_nothing(kind, wide):
    build = built(kind)
    tied = GARMENT_KINDS[kind].tied
    build = cut(edited(build, **({"target__ease_mm": f"{20 + wide} mm"} if tied else {"target__gap_mm": 30 + wide})))
    assert plan(read(count=5)(build)).proposal is None


@settings(max_examples=15)
@given(any_builds(), st.sampled_from([0, 15, 40]), st.sampled_from([0, 12, 40]))
def test_what_is_cut_is_a_simple_outline_for_every_ply(build, seams_mm, edges_mm):
    edges = {"seams_mm": seams_mm, "top_mm": edges_mm, "hem_mm": edges_mm, "cf_mm": 20, "cb_mm": 45}
    build = edited(build, draft__allowances=edges)
    for piece in pieces_of(build, plan(build)):
        assert Polygon(piece.outline).is_valid, piece.key
        assert Polygon(piece.stitch).is_valid, piece.key


def test_on_the_fold_a_piece_that_is_needed_once_is_told_as_cut_twice_wherever_it_lies():
    """The modesty panel is one: on a length at hand as on new cloth its twin is left over."""
    build = edited(built("underbust corset"), cut__fold=["coutil"])
    planned = plan(build)
    shelf = put(Shelf(), [{"sort": "cloth", "name": "coutil", "label": "x", "length_mm": 3000, "width_mm": 1400}], "cm")
    for at_hand in ((), tuple(shelf.for_build("b"))):
        laying = lay_quickly(lay_ask(build, planned, "coutil", at_hand, 0), {})
        assert bool(laying.marker.placed) == (not at_hand)
        assert laying.spare == ("2 strength modesty panel",)


def test_a_level_that_the_garment_does_not_reach_is_not_told_as_sewn():
    short = plan(built("cincher"))
    reached = {level.name for level in short.levels if level.closed_mm is not None}
    edges = [z for panel in short.pattern.panels for z in (panel.hem[0][1], panel.top[0][1], panel.top[-1][1])]
    assert reached == {level.name for level in short.body if min(edges) - 1 <= level.side_mm <= max(edges) + 1}
    told = printed(list_pdf(built("cincher"), short, "A4", "cm")).split("Girths")[1]
    beyond = next(level for level in short.levels if level.closed_mm is None)
    after = told.split(beyond.label)[1].split("\n", 3)
    assert after[1] == format_length(beyond.body_mm)
    assert after[2] in {level.label for level in short.levels}  # and nothing of it was sewn


@pytest.mark.parametrize(("by", "code"), [(0, "as_foreseen"), (9, "wider"), (-9, "narrower"), (upwards(9, -9), "top")])
def test_the_line_over_a_fitting_tells_the_gap_of_the_mock_up_against_what_was_foreseen_of_it(by, code):
    """A mock-up in calico closes further than the final will: what is as foreseen asks for no change."""
    made = cut(edited(built("overbust corset"), target__gap_mm=50))
    foreseen = plan(made).mock_up.shape.mean_mm
    assert foreseen < 44
    told = plan(read(by)(made))
    assert told.headline.code == f"headline.mock_up.{code}"
    assert (told.proposal is None) == (code == "as_foreseen")
    if code in ("wider", "narrower"):
        assert told.headline.given["off_mm"] == pytest.approx(9, abs=1.5)


SHUT = {"back__laced": False, "front__opening": "zip", "front__line": "CB"}


def said_right(planned):
    return [{"level": level.name, "word": "right"} for level in planned.levels if level.gap_mm is not None]


@pytest.mark.parametrize("kind", ["underbust corset", "overbust corset", "boned bodice", "strapless bodice"])
def test_what_has_no_lace_and_sits_right_everywhere_is_worn(kind):
    """There is no gap to fail by: it closed, nothing presses and nothing stands off, as she says herself."""
    made = cut(edited(built(kind), **SHUT))
    planned = plan(made)
    worn = {**made.mock_up.model_dump(), "stack": made.stack.model_dump(), "closing": "pinned"}
    told = plan(finished(readings=[], made_of=worn, words=said_right(planned))(made))
    assert told.verdict.word == "wear it"
    assert told.verdict.probability > 0.9
    assert told.proposal is None


@pytest.mark.parametrize("kind", ["underbust corset", "boned bodice"])
def test_a_mock_up_pinned_on_its_line_is_judged_by_words_the_better_the_more_was_said(kind):
    made = cut(edited(built(kind), **SHUT, mock_up__stack=FINAL_CLOTH["stack"]))
    planned = plan(made)
    said = said_right(planned)
    odds = [plan(pinned(None, words=words)(made)).verdict.probability for words in (said[:1], said)]
    assert odds[1] > odds[0]
    assert odds[1] > 0.8
    loose = [{**word, "word": "stands off"} for word in said]
    assert plan(pinned(None, words=loose)(made)).proposal is not None


@settings(max_examples=40)
@given(st.sampled_from(ALL_KINDS), st.floats(0.86, 1.24), st.floats(0.96, 1.07), st.floats(0.96, 1.05), st.booleans())
def test_a_new_draft_for_an_ordinary_wearer_has_no_fault_of_its_own(kind, size, hip, waist, soft):
    wearer = built(kind).wearer
    more = {"high_hip": hip, "hip": hip, "waist": waist}
    girths = {
        f"wearer__{name}__readings_mm": [f"{round(mm * size * more.get(name, 1))} mm" for mm in level.readings_mm]
        for name in LEVEL_LABELS
        if (level := getattr(wearer, name)).readings_mm
    }
    planned = plan(edited(built(kind), **girths, wearer__softness="soft" if soft else "average"))
    assert [one.code for one in planned.findings if one.severity != "advice"] == []


@pytest.mark.parametrize("seam", [2, 3, 4])
@pytest.mark.parametrize("width_mm", [40, 90])
def test_hip_gussets_are_not_taken_for_allowances_typed_in(seam, width_mm):
    """Two gussets of 9 cm in each half make the hip wide because that was meant."""
    made = by_hand(kind="gusset", seam=seam, end="hem", width_mm=width_mm, depth_mm=90)(built("underbust corset"))
    assert "girth_far_off" not in {one.code for one in plan(made).findings}


def test_ribs_that_fittings_told_of_are_not_called_taken_from_their_neighbours():
    made = cut(edited(built("underbust corset"), wearer__ribs__readings_mm=[]))
    wider = read(lambda z: 12 if 30 < z < 80 else 0, count=7)(made)
    before, after = (next(one for one in plan(build).findings if one.where == "Ribs") for build in (made, wider))
    assert (before.code, after.code) == ("guessed", "guessed.told")
    assert after.numbers["spread_mm"] < before.numbers["spread_mm"] - 5
    assert "fittings tell" in Words("cm")(after.sentence)


def kind_of_hers(like: str, name: str, **more):
    """A kind of bone of her own, otherwise like one that ships."""
    return {**BONES[like].model_dump(), "name": name, "label": f"{name} bone", **more}


def test_a_bone_longer_than_any_that_is_sold_is_told_where_it_is_chosen_cut_and_bought():
    short = kind_of_hers("spiral_6", "short", sold="lengths", lengths_mm=(100, 150))
    build = edited(built("overbust corset"), catalogue__bones__short=short, bones__seams="short")
    planned = plan(build)
    told = [one for one in planned.findings if one.code == "bone_longer_than_sold"]
    long = {bone.channel: bone.length_mm for bone in planned.bones if bone.kind == "short" and bone.length_mm > 150}
    assert long
    assert {one.where for one in told} == set(long)
    mended = plan(change(build, list(told[0].mend.changes), "cm"))
    assert told[0].where not in {one.where for one in mended.findings if one.code == "bone_longer_than_sold"}
    (step,) = [step for step in steps_of(build, planned) if step.key == cut_bones_step("short")]
    assert "caution.bone_longer_than_sold" in {one.code for one in step.cautions}
    needs = needs_of(build, planned, {}, cutting(build, planned, {}))
    asked = {need.each_mm: need.amount for need in needs if need.article.name == "short"}
    assert sum(amount for mm, amount in asked.items() if mm > 150) == 2 * len(long)


def test_the_bones_behind_the_lacing_are_of_a_kind_that_is_cut_bought_weighed_and_printed():
    build = edited(built("underbust corset"), back__modesty_bone="flat_12")
    planned = plan(build)
    panel = planned.modesty
    assert panel.bone == "flat_12"
    (plan_of_kind,) = [one for one in cutting(build, planned, {}) if one.kind == "flat_12"]
    labels = {bone.label for piece in plan_of_kind.pieces for bone in piece.bones}
    assert {f"modesty {i + 1}" for i in range(5)} <= labels
    assert any(piece.name == "modesty" for piece in bone_pieces(build, planned, "cm"))
    text = printed(list_pdf(build, planned, "A4", "cm"))
    assert f"bones of {panel.bone_label}" in " ".join(text.split())
    plain = plan(edited(build, back__modesty="none"))
    assert cost_of(build, planned).bones - cost_of(build, plain).bones == pytest.approx(panel.bones_price)
    (step,) = [step for step in steps_of(build, planned) if step.key == cut_bones_step("flat_12")]
    assert "step.material.bone_behind" in [one.code for one in step.materials]


def test_bones_of_no_length_are_not_counted_or_stiff():
    ready = kind_of_hers("flat_6", "long", sold="ready-cut", lengths_mm=(700,))
    build = edited(built("underbust corset"), catalogue__bones__long=ready, bones__seams="long", back__modesty="none")
    planned = plan(build)
    there = [bone for bone in planned.bones if bone.length_mm > 0]
    assert len(there) < len(planned.bones)
    assert planned.boning.count == 2 * sum(bone.count for bone in there)
    flat = plan(edited(build, bones__seams="flat_6"))
    assert planned.boning.stiffness.side < flat.boning.stiffness.side


@pytest.mark.parametrize(
    "bones",
    [
        {},
        {"bones__by_channel": {"CF": "flat_12"}},
        {"bones__beside_busk": "flat_12"},
        {"bones__doubled": ["CF"]},
        {"bones__made_by_channel": {"CF": "outside tape"}},
    ],
)
def test_the_waist_tape_stops_short_of_the_front_bone_however_that_was_set(bones):
    planned = plan(edited(built("underbust corset"), **bones))
    (bone,) = [bone for bone in planned.bones if bone.channel == "CF"]
    at = float(np.interp(0.0, [z for _, z in bone.path], [x for x, _ in bone.path]))
    inside = at - planned.pattern.panels[0].waist[0][0] + bone.channel_width_mm * bone.count / 2
    assert planned.waist_tape.right.from_cf_mm >= inside - 0.01
    assert len(planned.waist_tape.cuts_mm) == 2


def test_a_waist_tape_over_a_front_that_is_sewn_is_one_tape():
    planned = plan(edited(built("underbust corset"), front__opening="none"))
    halves = planned.waist_tape.right, planned.waist_tape.left
    (cut_mm,) = planned.waist_tape.cuts_mm
    assert cut_mm == pytest.approx(sum(run.to_cf_mm - run.from_cf_mm for run in halves) + 40, abs=1)
    assert all(run.from_cf_mm == 0 for run in halves)
    build = edited(built("underbust corset"), front__opening="none")
    (strip,) = [strip for strip in strips_of(build, planned) if strip.what == "waist tape"]
    assert strip.lengths_mm == (cut_mm,)


HEM = {"on": "hem"}


def uneven(build):
    """The left half is cut 24 mm wider at the hip."""
    return by_hand(kind="seam", seam=3, at_mm=-90, amount_mm=24, side="left")(build)


def test_what_lies_on_both_halves_is_right_and_left_and_not_twice_right():
    lace = {"key": "t1", "name": "lace", "line": HEM, "turn_in_mm": 0}
    frill = {"key": "h1", "name": "frill", "line": HEM, "tiers": [{"depth_mm": 60}]}
    area = {"key": "a1", "name": "vines", "how": "light embroidery", "panels": [3, 4]}
    trims = {"trims__along": [lace], "trims__hanging": [frill], "trims__areas": [area]}
    build = uneven(edited(built("underbust corset"), **trims))
    planned = plan(build)
    hems = [
        sum(float(LineString(panel.hem).length) for panel in panels)
        for panels in (planned.pattern.panels, planned.pattern.left_panels)
    ]
    assert hems[1] > hems[0] + 5
    assert planned.trims.along[0].laid.needed_mm == pytest.approx(sum(hems), abs=1)
    assert planned.trims.hanging[0].along_mm == pytest.approx(sum(hems), abs=1)
    each = [
        plan(edited(build, trims__areas=[{**area, "half": half}])).trims.areas[0].laid.cm2 for half in ("right", "left")
    ]
    assert each[0] != pytest.approx(each[1], abs=1)
    assert planned.trims.areas[0].laid.cm2 == pytest.approx(sum(each), abs=0.1)


@pytest.mark.parametrize(("front", "ends"), [("busk", 4), ("none", 2)])
def test_lace_round_an_edge_is_turned_in_only_where_it_ends(front, ends):
    lace = {"key": "t1", "name": "lace", "line": HEM, "turn_in_mm": 12}
    build = edited(built("underbust corset"), front__opening=front, trims__along=[lace])
    laid = plan(build).trims.along[0].laid
    assert laid.needed_mm - 2 * laid.length_mm == pytest.approx(12 * ends)


def test_a_line_that_both_halves_share_is_counted_once():
    """CF that is sewn is one line; beads round a waist that opens neither in front nor behind are a ring."""
    beads = {"key": "t1", "name": "beads", "pitch_mm": 20, "ends": "on both ends", "line": {"on": "seam", "seam": 0}}
    shut, open_ = (
        plan(edited(built("underbust corset"), front__opening=front, trims__along=[beads])).trims.along[0].laid
        for front in ("none", "busk")
    )
    assert open_.count == 2 * shut.count
    ring = {**beads, "line": {"on": "waist"}}
    side = {"back__laced": False, "front__opening": "zip", "front__line": "side"}
    laid = plan(edited(built("boned bodice"), **side, trims__along=[ring])).trims.along[0].laid
    assert laid.count == 2 * len(laid.at_mm) - 2


@pytest.mark.parametrize("line", ["CF", "side"])
def test_a_flap_is_a_piece_with_its_step_and_its_cloth(line):
    build = edited(built("underbust corset"), front__opening="hooks", front__line=line)
    plain, flapped = plan(build), plan(edited(build, front__flap=True))
    with_flap = edited(build, front__flap=True)
    wide, high = flapped.opening.flap_mm
    (piece,) = [piece for piece in pieces_of(with_flap, flapped) if piece.what == "flap"]
    low_x, low_z, high_x, high_z = Polygon(piece.stitch).bounds
    assert (high_x - low_x, high_z - low_z) == pytest.approx((2 * wide, high))
    keys = [step.key for step in steps_of(with_flap, flapped)]
    assert keys.index("flap") > keys.index("front")
    assert "flap" not in {step.key for step in steps_of(build, plain)}
    assert flapped.layers.grams > plain.layers.grams
    assert cost_of(with_flap, flapped).in_all > cost_of(build, plain).in_all


def test_of_hooks_by_count_and_by_pitch_the_later_stands():
    build = edited(built("underbust corset"), front__opening="hooks", front__hook_count=9)
    assert len(plan(build).opening.marks_z_mm) == 9
    closer = edited(build, front__hook_pitch_mm="12 mm")
    assert closer.front.hook_count is None
    places = plan(closer).opening.marks_z_mm
    assert places[0] - places[1] == pytest.approx(12, abs=0.6)
    assert len(plan(edited(closer, front__hook_count=9)).opening.marks_z_mm) == 9


@pytest.mark.parametrize(
    "hers",
    [
        {"front__busk": {"length_mm": 205, "studs": 4}},
        {"front__opening": "zip", "front__zip_mm": "21 cm"},
    ],
)
def test_what_is_hers_is_not_bought(hers):
    build = edited(built("underbust corset"), **hers)
    planned = plan(build)
    (need,) = [need for need in needs_of(build, planned, {}, ()) if need.stage == "front"]
    assert need.hers
    assert want("b", need, Pool(Shelf())).buy == 0
    bought = edited(build, front__busk=None, front__zip_mm=None)
    assert cost_of(bought, plan(bought)).hardware > cost_of(build, planned).hardware + 4


@given(st.floats(300, 5000), st.floats(20, 70), st.floats(150, 1500), st.floats(1, 400))
def test_a_wider_cloth_never_takes_more_for_its_binding(length_mm, strip_mm, wide_mm, wider_mm):
    narrow, wide = (bias_strips(length_mm, strip_mm, cloth, Practice()) for cloth in (wide_mm, wide_mm + wider_mm))
    assert wide.cloth_mm <= narrow.cloth_mm + 1e-6
    one_more = bias_strips(length_mm, strip_mm, wide_mm / 2 + 40, Practice())
    assert wide.cloth_mm <= one_more.cloth_mm + 1e-6  # no more joins would save cloth


def test_a_garment_that_is_bagged_out_is_turned_in_and_not_bound():
    bagged = edited(built("underbust corset"), layers__method="bagged out")
    edges = {fact.name: Words("cm")(fact.value) for fact in card(bagged, plan(bagged)).facts}["edges"]
    assert edges == "turned in"
    bound = built("underbust corset")
    assert "bound" in {fact.name: Words("cm")(fact.value) for fact in card(bound, plan(bound)).facts}["edges"]
