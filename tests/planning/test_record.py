"""The card fills itself from the plan and the log, and tells what the gap does over wears."""

import datetime
import io

from pypdf import PdfReader

from fuseau.commands.make import do, log
from fuseau.files.card import card_pdf
from fuseau.planning.record import card
from fuseau.wording import Words
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)
BUILD = built("underbust corset", brief__name="Ash & <Ember>")
PLAN = plan(BUILD)


def test_the_card_says_what_the_stages_say():
    found = card(BUILD, PLAN)
    assert found.closed_waist_mm == PLAN.aim.closed_waist_mm
    assert found.gap_mm == PLAN.final.shape.mean_mm
    assert sum(one.count for one in found.bones) == PLAN.boning.count
    assert found.rows == PLAN.holes.count / 2
    assert found.panels == len(PLAN.pattern.panels)
    assert len(found.plies) == len(BUILD.layers.plies)
    edge = PLAN.pattern.panels[0].cf_edge
    assert found.cf_mm >= max(z for _, z in edge) - min(z for _, z in edge) - 0.1
    assert (found.tried, found.work, found.says) == ((), (), ())


def test_hours_are_told_by_the_stage_they_went_into():
    build = do(BUILD, PLAN, "join 1-2", TODAY, "cm", also=True, anyhow=True)
    for key, minutes in (("join 1-2", 40), ("cut coutil", 30), ("join 1-2", 20)):
        build = log(build, PLAN, {"step": key, "minutes": minutes}, TODAY, "cm")
    found = card(build, PLAN)
    assert found.logged_min == 90
    assert {(one.stage, one.logged_min, one.steps) for one in found.work} == {("make", 60, 1), ("cut", 30, 1)}


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
