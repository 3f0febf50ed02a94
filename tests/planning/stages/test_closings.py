"""Every way to close (model, section 8): what has no lace behind has no holes, rows, lace or modesty panel anywhere."""

import pytest

from fuseau.commands.fields import change
from fuseau.commands.fittings import log_fitting
from fuseau.commands.versions import cut_version
from fuseau.craft.base.findings import Change
from fuseau.files.hardware_list import list_pdf
from fuseau.files.pieces import pattern_pieces
from fuseau.files.strips import bone_pieces, front_pieces, holes_pdf
from fuseau.planning.asked.readiness import ready
from fuseau.planning.asked.schools import cutting
from fuseau.planning.thread import thread
from tests.conftest import TODAY
from tests.files.test_strips import said as text_of
from tests.kinds import ALL_KINDS, built
from tests.plans import KEPT, plan
from tests.saying import refused, said

ALONE = {
    "zip behind": {"front__opening": "zip", "front__line": "CB"},
    "zip in front": {"front__opening": "zip"},
    "hooks behind": {"front__opening": "hooks", "front__line": "CB"},
    "hidden zip at the side": {"front__opening": "hidden zip", "front__line": "side"},
    "laced in front": {"front__opening": "lacing"},
    "busk alone": {"front__opening": "busk"},
}


def closed_by(kind, how, **fields):
    return built(kind, back__laced=False, **ALONE[how], **fields)


@pytest.mark.parametrize("how", sorted(ALONE))
@pytest.mark.parametrize("kind", ALL_KINDS)
def test_without_a_lace_behind_nothing_of_one_is_anywhere(kind, how):
    build = closed_by(kind, how)
    found = plan(build)
    assert not found.unmakeable, [said(one.sentence) for one in found.findings if one.severity == "stop"]
    behind = found.holes.z_mm if found.holes else ()
    assert (behind, found.lace, found.walk, found.modesty, found.lace_mm) == ((), None, (), None, None)
    assert (found.holes is not None) == (how == "laced in front")
    assert not {"CB inner", "CB outer"} & {bone.channel for bone in found.bones}
    assert found.gap_shape.shape == "closed"
    assert max(found.final.gap_mm) == 0
    knots = {knot.stage: said(knot.note) for knot in thread(build, found).knots}
    assert "hole" not in knots["back"]
    told = " ".join(said(one.sentence) for one in found.findings)
    assert "gap" not in told
    text = text_of(list_pdf(build, found, "a4", "cm"))
    for word in ("Modesty panel", "pull loops", "behind, the same on both sides"):
        assert word not in text, word
    assert ("Holes" in text) == (how == "laced in front")
    marks = [stroke for piece in pattern_pieces(build, found)[:1] for stroke in piece.strokes if stroke.kind == "hole"]
    assert bool(marks) == (how == "laced in front")


@pytest.mark.parametrize("how", ["zip behind", "zip in front", "busk alone"])
def test_the_waist_is_sewn_as_it_is_asked_and_worn_so(how):
    build = closed_by("overbust corset", how, target__job="closed_waist", target__closed_waist_mm=655.0)
    found = plan(build)
    waist = next(level for level in found.levels if level.name == "waist")
    assert waist.closed_mm == pytest.approx(655, abs=0.2)
    assert waist.worn_mm == pytest.approx(655 * 1.0015, abs=1.2)
    assert waist.gap_mm == 0


def test_a_lace_behind_and_a_zip_behind_do_not_go_together():
    found = plan(built("boned bodice", front__opening="zip", front__line="CB"))
    (stop,) = [one for one in found.findings if one.severity == "stop"]
    assert stop.at == "front.line"
    assert "nothing else can open there" in said(stop.sentence)


def test_what_opens_nowhere_is_told_with_a_zip_that_mends_it():
    build = built("boned bodice", back__laced=False, front__opening="none")
    (told,) = [one for one in plan(build).findings if one.code == "no_way_in"]
    mended = plan(change(build, list(told.mend.changes), "cm"))
    assert "no_way_in" not in {one.code for one in mended.findings}
    assert mended.ways[0].way == "from behind"


def test_a_garment_pulled_harder_than_hooks_bear_says_so_and_lacing_it_mends_it():
    build = closed_by("underbust corset", "hooks behind", target__reduction_percent=12.0)
    (told,) = [one for one in plan(build).findings if one.code == "hard_to_close"]
    assert told.numbers["pull_n_per_m"] > told.numbers["most_n_per_m"]
    mended = plan(change(build, list(told.mend.changes), "cm"))
    assert "hard_to_close" not in {one.code for one in mended.findings}
    assert mended.holes.z_mm


def test_the_seam_behind_has_a_seams_allowance_unless_she_says_otherwise():
    assert plan(closed_by("boned bodice", "zip in front")).pattern.allowances.cb_mm == 15
    assert plan(closed_by("boned bodice", "zip behind")).pattern.allowances.cb_mm == 20
    own = closed_by("boned bodice", "zip in front", draft__allowances__cb_mm=30.0)
    assert plan(own).pattern.allowances.cb_mm == 30
    assert plan(built("boned bodice")).pattern.allowances.cb_mm == 45


def test_a_collar_is_got_into_by_what_opens_it():
    collar = plan(closed_by("neck corset", "hooks behind"))
    assert [way.way for way in collar.ways] == ["from behind"]
    front = plan(built("neck corset", front__opening="hooks"))
    assert front.ways[0].way == "by the front"
    assert front.ways[0].verdict == "yes"
    assert {"round the neck", "over the head"} < {way.way for way in front.ways}


def test_there_is_no_punching_strip_of_what_has_no_holes():
    build = closed_by("boned bodice", "zip behind")
    with refused("no holes to punch"):
        holes_pdf(build, plan(build), "a4", "cm")
    sides = front_pieces(plan(build), "cm")
    assert {label.text for piece in sides for label in piece.labels} >= {"zip begins", "zip ends"}


# --- fitted by pins, slack and words


def tried(build, **told):
    cut = cut_version(build, plan(build), TODAY)
    made = {"made_of": {**cut.mock_up.model_dump(), "closing": "pinned"}}
    return log_fitting(cut, plan(cut), {"pull": "close", **made, **told}, TODAY, "cm")


def pins(build, off_mm):
    expected = plan(build).mock_up
    heights = expected.z_mm[-1] - 8, 0.0, expected.z_mm[0] + 8
    return [{"z_mm": z, "gap_mm": round(expected.gap_at(z) + off_mm)} for z in heights]


def test_calico_gives_so_its_pins_are_foreseen_inside_the_seam():
    expected = plan(closed_by("boned bodice", "zip behind")).mock_up
    assert -20 < max(expected.gap_mm) < 0
    with_gap = plan(built("boned bodice")).mock_up
    assert min(with_gap.gap_mm) > 0


@pytest.mark.parametrize("off", [-14.0, 14.0])
def test_pins_that_had_to_go_inside_the_seam_take_in_and_a_gap_lets_out(off):
    build = closed_by("boned bodice", "zip behind")
    as_foreseen = plan(tried(build, readings=pins(build, 0.0)))
    assert as_foreseen.proposal is None or abs(as_foreseen.proposal.sewn_change_mm["waist"]) < 3
    after = plan(tried(build, readings=pins(build, off)))
    assert after.proposal is not None
    changed = after.proposal.sewn_change_mm["waist"]
    assert changed * off > 0
    assert abs(changed) >= 3.9
    assert after.verdict.probability is not None
    assert "gap" not in said(after.verdict.sentence)


def test_a_mock_up_that_was_pinned_shut_is_read_by_its_words():
    build = closed_by("boned bodice", "zip behind")
    right = plan(tried(build, words=[{"level": "waist", "word": "right"}, {"level": "bust", "word": "right"}]))
    digs = plan(tried(build, words=[{"level": "waist", "word": "digs"}, {"level": "bust", "word": "digs"}]))

    def waist(found):
        return next(level.believed_mm for level in found.learned.levels if level.name == "waist")

    assert waist(digs) > waist(right) + 3
    assert "words_only" not in {one.code for one in digs.findings}
    assert digs.proposal is not None
    assert digs.proposal.sewn_change_mm["waist"] > 2


def test_what_stood_off_in_front_is_taken_out_in_front():
    build = closed_by("boned bodice", "zip behind")
    tap = {"view": "front", "z_mm": 150.0, "word": "stands off", "off_mm": 20.0}
    after = plan(tried(build, taps=[tap]))
    assert after.proposal is not None
    taken = {one.level: one for one in after.proposal.pattern.shape.slack_at_levels}
    assert taken["bust"].front_mm == pytest.approx(-20, abs=3)
    assert taken["bust"].back_mm == 0


def test_the_plan_of_its_mock_up_asks_for_pins_not_for_a_lace():
    found = plan(closed_by("boned bodice", "zip behind"))
    closing = next(part for part in found.mock_up_plan.parts if part.part == "Closing")
    assert "pinned shut behind" in said(closing.what)
    asked = " ".join(map(said, found.mock_up_plan.look_at))
    assert "pins" in asked
    assert "ace it" not in asked
    odds = ready(
        tried(closed_by("boned bodice", "zip behind"), words=[{"level": "waist", "word": "right"}]), cache=KEPT
    )
    assert 0 < odds.probability <= 0.99
    assert odds.raises == ()


# --- one half only


def _all_cut(build, planned):
    plans = cutting(build, planned, {})
    return [bone for one in plans for piece in one.pieces for bone in piece.bones] + [
        bone for one in plans for bone in one.unmet
    ]


def test_what_opens_on_one_half_moves_the_bones_of_that_half_alone():
    build = built("boned bodice", front__opening="hidden zip", front__line="side", front__half="left")
    found = plan(build)
    seam = found.opening.seam
    label = f"{seam}·{seam + 1}"
    assert found.left is not None
    assert label in {bone.channel for bone in found.bones}
    assert {f"{label} CF", f"{label} CB"} <= {bone.channel for bone in found.left.bones}
    other = plan(change(build, [Change(at="front.half", value="right")], "cm"))
    assert {bone.channel for bone in other.left.bones} == {bone.channel for bone in found.bones}
    both = plan(change(build, [Change(at="front.half", value="both")], "cm"))
    assert both.left is None
    assert (
        found.boning.count == (both.boning.count + plan(built("boned bodice", front__opening="none")).boning.count) / 2
    )
    asked = [one.label for one in _all_cut(build, found)]
    assert f"{label} R" in asked
    assert f"{label} L" not in asked
    assert {f"{label} CF L", f"{label} CB L"} <= set(asked)
    assert len(asked) == found.boning.count + len(found.modesty.bones_mm if found.modesty else ())
    names = [piece.name for piece in bone_pieces(build, found, "cm")]
    assert f"{label} right" in names
    assert f"{label} CF left" in names
    assert "CB outer" in names  # the same in both halves, on one strip
