"""What could be taken instead of an article that nobody has in time."""

from fuseau.craft.materials.catalogue import BONES, BUSKS, GROMMETS, LACES
from fuseau.craft.materials.cloths import CLOTHS
from fuseau.craft.stock import articles
from fuseau.planning.workshop.alternatives import alternatives


def names(article, there=lambda one: True):
    return [one.name for one in alternatives(article, CLOTHS, BONES, there)]


def test_a_bone_that_goes_into_the_same_channel_and_is_about_as_stiff():
    for kind in BONES.values():
        for name in names(articles.bone(kind)):
            other = BONES[name]
            assert other.width_mm <= kind.width_mm
            assert 0.5 <= other.flatwise_stiffness() / kind.flatwise_stiffness() <= 2
    assert "flat_12" not in names(articles.bone(BONES["flat_6"]))  # it does not go into its channel


def test_a_hole_no_smaller_and_as_strong_a_lace_no_thicker_a_tape_a_little_wider():
    assert names(articles.grommets(GROMMETS["grommet_4"])) == ["grommet_5"]
    assert names(articles.grommets(GROMMETS["grommet_5"])) == []  # the eyelet of its size holds far less
    thick = names(articles.lace(LACES["cord_4"]))
    assert thick[0] == "ribbon_10"  # 3.5 mm drawn together is nearest to 4
    assert names(articles.lace(LACES["ribbon_4"])) == []
    assert names(articles.tape(16)) == ["tape_18", "tape_20"]
    assert names(articles.tape(40)) == []


def test_a_busk_a_little_shorter_never_a_longer_one():
    for busk in BUSKS:
        for name in names(articles.busk_of(busk.length_mm, len(busk.stud_places()))):
            length = float(name.split("_")[1])
            assert 0 < busk.length_mm - length <= 25


def test_only_what_is_there_and_nothing_for_what_fits_or_does_not():
    cloth = articles.cloth(CLOTHS["coutil"])
    assert names(cloth)
    assert names(cloth, lambda one: one.name == "ticking") == ["ticking"]
    assert names(cloth, lambda one: False) == []
    assert names(articles.HOOKS) == []
    assert names(articles.zip_of("hidden", 400)) == []
