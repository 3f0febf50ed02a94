"""The card fills itself from the plan and the log, and tells what the gap does over wears."""

import datetime
import io

import pytest
from PIL import Image
from pypdf import PdfReader

from fuseau.commands.make import do, log
from fuseau.craft.base.lengths import format_length
from fuseau.files.card import build_of_card, card_pdf, card_png
from fuseau.files.unreadable import UnreadableFile
from fuseau.planning.stages.record import card, compare
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)
BUILD = built("underbust corset", brief__name="Ash & <Ember>")
PLAN = plan(BUILD)


def lines(found):
    say = Words("cm")
    return {one.name: (say(one.value), one.number) for one in found.facts}


def test_the_card_says_what_the_stages_say():
    found = card(BUILD, PLAN)
    said = lines(found)
    assert said["closed waist"] == (format_length(PLAN.aim.closed_waist_mm), PLAN.aim.closed_waist_mm)
    assert said["gap behind"][1] == PLAN.final.shape.mean_mm
    kinds = {bone.kind_label for bone in PLAN.bones}
    assert sum(said[kind][1] for kind in kinds) == PLAN.boning.count
    assert said["holes"][1] == PLAN.holes.count / 2
    assert said["panels"] == (f"{len(PLAN.pattern.panels)} in each half", len(PLAN.pattern.panels))
    assert {ply.role for ply in BUILD.layers.plies} <= set(said)
    edge = PLAN.pattern.panels[0].cf_edge
    assert said["CF length"][1] >= max(z for _, z in edge) - min(z for _, z in edge) - 0.1
    chosen = next(method for method in PLAN.layers.methods if method.chosen)
    assert said["cloth, about"][1] == pytest.approx(chosen.price)
    assert said["bones in channels and behind, about"][1] == pytest.approx(PLAN.boning.price + PLAN.modesty.bones_price)
    assert "at it" not in said
    assert (found.tried, found.says, found.grown, found.photos) == ((), (), None, ())


def test_hours_are_told_by_the_stage_they_went_into():
    build = do(BUILD, PLAN, "join 1-2", TODAY, "cm", also=True, anyhow=True)
    for key, minutes in (("join 1-2", 40), ("cut coutil", 30), ("join 1-2", 20)):
        build = log(build, PLAN, {"step": key, "minutes": minutes}, TODAY, "cm")
    said = lines(card(build, PLAN))
    assert {name: said[name] for name in ("at it", "sewing", "cutting")} == {
        "at it": ("1.5 h", 1.5),
        "sewing": ("1.0 h", 1.0),
        "cutting": ("0.5 h", 0.5),
    }


def test_two_cards_differ_in_numbers_and_by_how_much():
    other = edited(BUILD, draft__panels=5, target__reduction_percent=4, make__binding="by machine")
    found = {one.name: one for one in compare(card(BUILD, PLAN), card(other, plan(other)))}
    say = Words("cm")
    assert (say(found["panels"].by), found["panels"].differs) == ("−1", True)
    aims = PLAN.aim.closed_waist_mm, plan(other).aim.closed_waist_mm
    assert say(found["closed waist"].by) == f"+{format_length(aims[1] - aims[0])}"
    assert (found["edges"].differs, found["edges"].by) == (True, None)
    assert not found["made up"].differs
    assert [one.differs for one in compare(card(BUILD, PLAN), card(BUILD, PLAN))] == [False] * len(
        card(BUILD, PLAN).facts
    )
    zipped = edited(BUILD, front__opening="busk", back__laced=False)
    gone = {one.name: one for one in compare(card(BUILD, PLAN), card(zipped, plan(zipped)))}
    assert (gone["lace"].first is None, gone["lace"].second, gone["lace"].differs) == (False, None, True)


def test_the_gap_over_wears_is_told_only_where_it_moves():
    def says(*gaps):
        wears = [{"on": f"2026-1{i % 3}-0{1 + i}", "gap_mm": gap} for i, gap in enumerate(gaps)]
        found = card(edited(BUILD, record__wears=wears), PLAN)
        assert [one.on for one in found.gaps] == sorted(one.on for one in found.gaps)
        return [Words("cm")(one) for one in found.says]

    assert says(50) == []
    assert says(50, 53) == ["Over 2 wears the gap stays as it was."]
    assert says(52, 45, 38)[0].startswith("Over 3 wears the gap has closed by 14 mm")
    assert says(38, 52)[0].startswith("Over 2 wears the gap has opened by 14 mm")


def test_the_card_is_printed_with_all_of_her_words():
    build = edited(
        BUILD,
        record__finished_on="2026-11-20",
        record__likes=["the hem & its line"],
        record__would_change=["one panel <more>"],
        record__wears=[{"on": "2026-11-21", "hours": 6, "gap_mm": 48, "gave_way": "a tip"}],
    )
    for paper in ("a4", "letter"):
        (page,) = PdfReader(io.BytesIO(card_pdf(build, card(build, PLAN), paper, "cm"))).pages
        text = page.extract_text()
        for said in (
            "Ash & <Ember>",
            "Finished on 2026-11-20",
            "the hem & its line",
            "one panel <more>",
            "gave way: a tip",
        ):
            assert said in text
    draft = built("cincher")
    assert card_pdf(draft, card(draft, plan(draft)), "a4", "in").startswith(b"%PDF")


def drawn(colour, size=(300, 500)):
    target = io.BytesIO()
    Image.new("RGB", size, colour).save(target, "PNG")
    return target.getvalue()


def test_its_photos_stand_on_it_front_before_back():
    shots = {"a" * 64: drawn("red"), "b" * 64: drawn("blue")}
    photos = [
        {"id": "b" * 64, "view": "back", "width_px": 300, "height_px": 500},
        {"id": "a" * 64, "view": "front", "width_px": 300, "height_px": 500},
        {"id": "c" * 64, "view": "side", "width_px": 300, "height_px": 500},  # is not here: left out
    ]
    build = edited(BUILD, record__photos=photos)
    printed = card_pdf(build, card(build, PLAN), "a4", "cm", shots)
    (page,) = PdfReader(io.BytesIO(printed)).pages
    assert sorted(one.image.convert("RGB").getpixel((5, 5)) for one in page.images) == [(0, 0, 255), (255, 0, 0)]
    picture = Image.open(io.BytesIO(card_png(printed))).convert("RGB")
    seen = [picture.getpixel((x, 300)) for x in range(picture.width)]
    assert picture.width == pytest.approx(210 / 25.4 * 150, abs=2)
    assert seen.index((255, 0, 0)) < seen.index((0, 0, 255))


def test_a_card_as_one_file_holds_its_build():
    document = b'{"format": "fuseau.build"}' * 1000
    printed = card_pdf(BUILD, card(BUILD, PLAN), "a4", "cm", {}, document)
    assert build_of_card(printed) == document
    assert PdfReader(io.BytesIO(printed)).attachments["build.fuseau.json"] == [document]
    with pytest.raises(UnreadableFile, match="carries no build"):
        build_of_card(card_pdf(BUILD, card(BUILD, PLAN), "a4", "cm"))
    for broken in (b"%PDF-1.4 nothing", printed[:400]):
        with pytest.raises(UnreadableFile):
            build_of_card(broken)


def test_lines_that_are_called_alike_are_told_apart():
    beads = [{"key": f"t{i}", "name": "beads", "pitch_mm": 9 + i} for i in (1, 2, 3)]
    build = edited(BUILD, trims__along=beads)
    names = [fact.name for fact in card(build, plan(build)).facts]
    assert len(set(names)) == len(names)
    assert [name for name in names if "beads" in name] == ["trim: beads", "trim: beads (2)", "trim: beads (3)"]
