"""Files that earlier versions of Fuseau wrote are read as what they meant (document, versions 1 to 3)."""

import pytest
from pydantic import ValidationError

from fuseau.craft.base.practice import Practice
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.craft.materials.stack import Stack
from fuseau.document.build import VERSION, read_build
from fuseau.document.shelf import brought_over
from fuseau.wording.faults import faults, range_of
from tests.kinds import built
from tests.plans import plan


def written(version: int) -> dict:
    data = built("underbust corset").model_dump(mode="json")
    return {**data, "version": version}


def test_a_file_of_version_2_loses_the_numbers_that_stood_for_every_cloth():
    data = written(2)
    data["practice"] |= {"pull_bow": 0.2, "stretch_more": 0.01, "stretch_spread": 0.01}
    read = read_build(data)
    assert read.version == VERSION
    assert read.practice == built("underbust corset").practice
    assert plan(read) == plan(built("underbust corset"))


def test_a_file_of_version_1_called_heights_otherwise():
    data = written(1)
    waist = data["wearer"]["high_hip"]
    data["wearer"]["high_hip"] = {
        name.replace("height_", "waist_to_") if name.startswith("height_") else name: value
        for name, value in waist.items()
    }
    assert "waist_to_front_mm" in data["wearer"]["high_hip"]
    assert read_build(data).wearer == built("underbust corset").wearer


def test_a_file_of_version_5_has_no_trims_yet():
    data = written(5)
    del data["trims"]
    read = read_build(data)
    assert (read.version, read.trims.anything) == (VERSION, False)


@pytest.mark.parametrize("version", range(5, VERSION))
def test_files_since_version_5_lack_only_what_nobody_had_said_yet(version):
    assert read_build(written(version)) == built("underbust corset")


def test_what_the_present_version_does_not_know_is_named():
    data = written(VERSION)
    data["practice"] |= {"pull_bow": 0.2}
    with pytest.raises(ValidationError) as caught:
        read_build(data)
    assert faults(caught.value)[0].at == "practice.pull_bow"


def test_a_gusset_written_before_there_were_slashes_is_in_its_seam():
    from fuseau.craft.pattern.pattern import Gusset

    old = Gusset.model_validate({"seam": 3, "end": "hem", "width_mm": 40, "depth_mm": 70, "tip_mm": -60})
    assert (old.seam, old.panel) == (3, None)
    with pytest.raises(ValidationError):
        Gusset.model_validate({"end": "hem", "width_mm": 40, "depth_mm": 70, "tip_mm": -60})


@pytest.mark.parametrize(
    "stack",
    [
        {},
        {"strength": "canvas", "fashion_mm": 0.35, "lining_mm": 0, "worn_under_mm": 1.5},
        {"fashion_mm": 0.9, "lining_mm": 0.4},
        {"fashion_mm": 0, "lining_mm": 0},
    ],
)
def test_a_file_of_version_3_knew_its_layers_by_their_thickness(stack):
    read = read_build({**written(3), "layers": stack})
    assert read.stack == Stack.model_validate(stack)
    assert [ply.role for ply in read.layers.plies].count("strength") == 1
    # what the catalogue has as thick as that is that cloth, and nothing of hers
    usual = [ply for ply in read.layers.plies if ply.thickness_mm is None and ply.role != "strength"]
    assert all(
        CLOTHS[ply.cloth].thickness_mm in (stack.get("fashion_mm", 0.35), stack.get("lining_mm", 0.25)) for ply in usual
    )


def test_a_file_of_version_4_had_a_shelf_of_its_own_that_goes_to_the_workshops():
    data = written(4)
    data["bones"] |= {"shelf": [{"kind": "synthetic_7", "length_mm": 900.0, "count": 2}, {"kind": 7}, "nonsense"]}
    assert read_build(data).bones.seams == "spiral_6"
    pieces, reserved = brought_over(data, "b1")
    assert [(one["name"], one["length_mm"], one["count"], one["sort"]) for one in pieces] == [
        ("synthetic_7", 900, 2, "bone")
    ]
    assert reserved == [{"stock": "0", "build": "b1", "amount": 2}]
    assert brought_over({"bones": None, "catalogue": []}, "b1") == ([], [])


@pytest.mark.parametrize(("value", "name"), [(0.1, "ruler_spread_mm"), (99, "ruler_spread_mm"), (2, "lace_friction")])
def test_a_house_number_out_of_its_range_is_told_with_its_name_and_unit(value, name):
    data = written(VERSION)
    data["practice"] |= {name: value}
    with pytest.raises(ValidationError) as caught:
        read_build(data)
    (fault,) = faults(caught.value)
    said = {
        "ruler_spread_mm": "Ruler spread goes from 0.5 to 20 mm.",
        "lace_friction": "Lace friction goes from 0 to 0.6.",
    }
    assert (fault.at, fault.sentence) == (f"practice.{name}", said[name])


@pytest.mark.parametrize("name", list(Practice.model_fields))
def test_every_house_number_can_say_its_range(name):
    assert " goes from " in range_of(name)
