"""Whatever is chosen of bones, front and back: the plan stands, its parts fit together, and every mend mends."""

from typing import Any

import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st

from fuseau.commands.fields import change
from fuseau.craft.materials.catalogue import BONES, GROMMETS, LACES
from tests.conftest import edited
from tests.kinds import ALL_KINDS, built
from tests.plans import plan
from tests.saying import said

BUILDS = {kind: built(kind) for kind in ALL_KINDS}
kinds = st.sampled_from(sorted(BONES))
mm = st.floats(14, 45)


def nothing_or(what):
    return st.one_of(st.none(), what)


@st.composite
def channels(draw) -> list[dict[str, Any]]:
    panels = draw(st.lists(st.integers(1, 5), max_size=5))
    return [
        {"panel": panel, "letter": "abcdefgh"[i], "across": draw(st.floats(0.05, 0.95))}
        for i, panel in enumerate(panels)
    ]


@st.composite
def choices(draw) -> dict[str, Any]:
    seams = ("1·2", "2·3", "3·4")
    places = st.sampled_from(["on", "CF side", "CB side", "both sides", "none"])
    return {
        "bones__lacing_edge": draw(kinds),
        "bones__beside_busk": draw(kinds),
        "bones__seams": draw(kinds),
        "bones__curved": draw(nothing_or(kinds)),
        "bones__between": draw(nothing_or(channels())),
        "bones__on_seams": draw(st.dictionaries(st.sampled_from(seams), places)),
        "bones__doubled": draw(st.lists(st.sampled_from([*seams, "CF", "CB outer"]), max_size=2, unique=True)),
        "bones__made": draw(st.sampled_from(["between plies", "in the allowances", "inside tape", "outside tape"])),
        "front__opening": draw(st.sampled_from(["busk", "zip", "hidden zip", "hooks", "lacing", "none"])),
        "front__line": draw(st.sampled_from(["CF", "side", "1·2"])),
        "front__thin": draw(st.booleans()),
        "back__holes": draw(st.sampled_from(sorted(GROMMETS))),
        "back__lace": draw(st.sampled_from(sorted(LACES))),
        "back__pitch_mm": draw(nothing_or(mm)),
        "back__waist_pitch_mm": draw(nothing_or(mm)),
        "back__pattern": draw(st.sampled_from(["cross with pull loops", "cross", "spiral", None])),
    }


MENDED = {
    "bone_wont_bend", "channel_in_allowances", "channel_lost", "channels_clash", "lace_too_thick",
    "lacing_edge_too_wide", "no_busk_fits", "not_alone", "ready_cut_short", "ribbon_wears", "thin_busk",
    "unboned",
}  # fmt: skip


BESIDE_A_ZIP = {  # the narrower bone lies closer to the seam, and would bend more sharply there
    "bones__seams": "flat_12", "bones__curved": "synthetic_7", "front__opening": "zip", "front__line": "1·2",
}  # fmt: skip


@settings(max_examples=10)
@given(st.sampled_from(sorted(BUILDS)), choices())
@example("strapless bodice", BESIDE_A_ZIP)
def test_any_hardware_is_planned_and_every_mend_removes_its_finding(kind, fields):
    if kind == "neck corset":  # too short for a pair of holes at a waist
        fields["back__pattern"] = "cross"
    build = edited(BUILDS[kind], **fields)
    found = plan(build)
    assert not found.unmakeable, [said(one.sentence) for one in found.findings if one.severity == "stop"]
    labels = [bone.channel for bone in found.bones]
    assert len(labels) == len(set(labels))
    for bone in found.bones:
        assert 0 <= bone.length_mm <= bone.room_mm <= bone.path_mm
        assert bone.channel_width_mm > bone.width_mm
    heights = found.holes.z_mm
    assert list(heights) == sorted(heights, reverse=True)
    assert all(way.gap_mm >= 0 for way in found.ways)
    assert found.lace.cut_mm >= found.lace.worn_mm
    for finding in found.findings:
        if finding.mend is None or finding.code not in MENDED:
            continue
        mended = plan(change(build, list(finding.mend.changes), "cm"))
        again = [one for one in mended.findings if (one.code, one.where) == (finding.code, finding.where)]
        assert not again, (finding.code, finding.where, said(finding.sentence), [said(one.sentence) for one in again])


@pytest.mark.parametrize("side", ["on", "CF side", "both sides"])
def test_a_kind_said_to_follow_a_channel_follows_it_when_it_is_chosen_and_no_other_does(side):
    build = edited(BUILDS["strapless bodice"], bones__on_seams={"1·2": side, "2·3": side}, bones__seams="flat_12")
    build = edited(build, bones__curved=None)
    for label in [bone.channel for bone in plan(build).bones if bone.seam in (1, 2)]:
        can_lie = {bone.channel: bone.can_lie for bone in plan(build).bones}[label]
        for kind in sorted(BONES):
            chosen = plan(edited(build, bones__by_channel={label: kind}))
            told = {(one.code, one.where) for one in chosen.findings}
            assert (("bone_wont_bend", label) in told) == (kind not in can_lie), (label, kind)


@pytest.mark.parametrize("kind", sorted(BUILDS))
def test_the_usual_hardware_of_every_kind_has_no_clash_and_no_bone_that_cannot_lie(kind):
    codes = {one.code for one in plan(BUILDS[kind]).findings}
    assert not codes & {"channels_clash", "bone_wont_bend", "lace_too_thick", "lacing_edge_too_wide"}
