"""A material of bones and a cloth that nobody has heard of: what they are like is all that has to be said of them."""

import pytest

from fuseau.commands.bones import keep_kind
from fuseau.commands.layers import keep_cloth
from fuseau.craft.making.steps import cut_bones_step, cut_step
from fuseau.craft.materials.catalogue import BONES, STUFFS, Stuff
from fuseau.planning.stages import make
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan
from tests.saying import unread

CANE = Stuff(
    modulus_gpa=9,
    strain=0.006,
    clearance_mm=7,
    ends="cut and rounded",
    bends="flat-wise, when it is wet",
    work="cut a flat bone",
    tools=("cutter", "file"),
    flies=True,
    carries_edge=True,
    drawn="ribbon",
)
SPLIT_CANE = {"label": "split cane 9 × 2 mm", "material": "cane", "width_mm": 9, "thickness_mm": 2, "sold": "coil"}


@pytest.fixture
def cane(monkeypatch):
    """Cane is known as a material, and as nothing else."""
    monkeypatch.setitem(STUFFS, "cane", CANE)


def steps_of(build):
    """Every step of making, by its key."""
    return {step.key: step for step in make.steps_of(build, plan(build))}


def test_what_is_no_material_is_refused_with_those_that_are():
    with unread("flat steel, spiral steel"):
        keep_kind(built("underbust corset"), SPLIT_CANE, "cm")


def test_bones_of_a_new_material_lie_bend_are_cut_cautioned_and_timed(cane):
    build = keep_kind(built("underbust corset"), SPLIT_CANE, "cm")
    name = next(one for one in build.bone_kinds if one not in BONES)
    kind = build.bone_kinds[name]
    assert kind.least_radius_mm == pytest.approx(9 / (2 * 0.006))
    assert kind.edgewise_stiffness() == pytest.approx(9 * 2 * 9**3 / 12 / 1000)
    build = edited(build, bones__lacing_edge=name, bones__beside_busk=name)
    planned = plan(build)
    outer = next(bone for bone in planned.bones if bone.channel == "CB outer")
    assert (outer.kind, outer.drawn) == (name, "ribbon")
    assert outer.length_mm == pytest.approx(outer.path_mm - 2 * 7, abs=build.practice.bone_step_mm)
    assert not [one for one in planned.findings if one.code == "thin_busk"]
    step = steps_of(build)[cut_bones_step(name)]
    say = Words("cm")
    assert [one.code for one in step.cautions] == ["caution.ends_fly"]
    assert "cut ends fly" in say(step.cautions[0])
    assert [one.code for one in step.tools] == ["tool.cutter", "tool.file"]
    assert dict(step.works)["cut a flat bone"] == sum(2 * bone.count for bone in planned.bones if bone.kind == name)


def test_a_cloth_with_odd_properties_is_cautioned_where_it_is_cut_and_sewn():
    build = built("underbust corset")
    fashion = next(i for i, ply in enumerate(build.layers.plies) if ply.role == "fashion")
    plain = steps_of(build)
    odd = {"label": "fish-scale cloth", "sheds": True, "breaks_needles": True, "thickness_mm": "1.9 mm"}
    scaled = keep_cloth(build, odd, "cm", fashion)
    name = scaled.layers.plies[fashion].cloth
    now = steps_of(scaled)
    assert [one.code for one in now[cut_step(name)].cautions] == ["caution.sheds"]
    assert not any(one.cautions for key, one in plain.items() if key.startswith("join"))
    joined = {key: [one.code for one in step.cautions] for key, step in now.items() if key.startswith("join")}
    assert joined
    assert set(map(tuple, joined.values())) == {("caution.needles_break",)}
    assert plan(scaled).layers.total_mm == pytest.approx(
        plan(build).layers.total_mm + 1.9 - build.cloths["sateen"].thickness_mm, abs=0.05
    )
