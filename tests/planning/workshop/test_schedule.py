"""The work of several builds: what is most urgent first, parcels waited for, what is shut out with its way back."""

import datetime

from fuseau.commands.make import do, log
from fuseau.commands.shelf import place_order
from fuseau.craft.making.hours import Hours
from fuseau.craft.making.rates import rates
from fuseau.craft.stock.articles import cloth
from fuseau.document.shelf import OrderLine, Shelf
from fuseau.planning.stages.make import known_rates, make_up
from fuseau.planning.workshop.schedule import AtWork, plan_work, with_one_more, work_of
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)


def at_work(name, kind="underbust corset", days=40, **fields):
    day = (TODAY + datetime.timedelta(days=days)).isoformat()
    build = edited(built(kind), brief__name=name, brief__needed_on=day, **fields)
    return AtWork(name, build, plan(build))


def work(*builds, shelf=None, hours=None):
    return plan_work(
        builds, shelf or Shelf(), hours or Hours(), TODAY, known_rates(one.build for one in builds), look=0, runs=200
    )


def test_the_build_that_is_needed_first_is_made_first_and_one_pair_of_hands_makes_both():
    first, second = at_work("late", days=60), at_work("soon", "cincher", days=25)
    found = work(first, second)
    ends = {end.build: end for end in found.schedule.ends}
    assert ends["soon"].ends_on < ends["late"].ends_on
    alone = work(first).schedule.ends[0]
    assert alone.ends_on < ends["late"].ends_on
    odds = {one.build: one.probability for one in found.odds}
    assert odds["late"] <= next(one.probability for one in work(first).odds)
    assert [slot.start_min for slot in found.schedule.slots] == sorted(slot.start_min for slot in found.schedule.slots)


def test_a_cloth_on_its_way_holds_up_what_is_cut_from_it():
    here = at_work("a")
    article = cloth(here.build.cloths["coutil"])
    due = TODAY + datetime.timedelta(days=20)
    shelf = place_order(Shelf(), "S", [OrderLine(article=article, packs=1, pack=1000, builds=("a",))], TODAY, due)
    slots = {slot.key: slot for slot in work(here, shelf=shelf).schedule.slots}
    assert slots["cut coutil"].starts_on >= due
    assert slots["cut lawn"].starts_on < due
    for_another = place_order(Shelf(), "S", [OrderLine(article=article, packs=1, pack=1000, builds=("b",))], TODAY, due)
    assert {slot.key: slot for slot in work(here, shelf=for_another).schedule.slots}["cut coutil"].starts_on < due


def test_what_was_shut_out_is_scheduled_with_its_way_back():
    here = at_work("a")
    build = do(here.build, here.planned, "waist tape", TODAY, "cm", also=True)
    forgot = AtWork("a", build, here.planned)
    plan_of = make_up(build, here.planned)
    assert (plan_of.lost[0], plan_of.now) == ("front", "front")
    back = next(one for one in plan_of.steps if one.step.key == "front").back[0]
    slots = {slot.key: slot for slot in work(forgot).schedule.slots}
    assert slots["front"].end_min - slots["front"].start_min > back.minutes + 60
    kept = do(here.build, here.planned, "front", TODAY, "cm", also=True)
    kept = do(kept, here.planned, "waist tape", TODAY, "cm", also=True)
    assert make_up(kept, here.planned).minutes_left < plan_of.minutes_left


def test_one_more_mock_up_is_as_likely_as_the_odds_say():
    here = at_work("a")
    ahead = work_of([here], Shelf(), rates(()), TODAY)
    jobs = with_one_more(ahead, [here])
    more = [job for job in jobs if job.key.endswith(" more")]
    assert [(job.key, job.likely) for job in more] == [("mock-up more", 0.5), ("fitting more", 0.5)]
    at = {job.key: i for i, job in enumerate(jobs)}
    assert at["fitting more"] in jobs[at["cut coutil"]].after
    assert at["fitting 1"] in jobs[at["mock-up more"]].after


def test_her_pace_is_learned_over_all_builds():
    here, other = at_work("a"), at_work("b", "cincher")
    build = here.build
    for key in ("join 1-2", "join 2-3", "join 3-4"):
        build = do(build, here.planned, key, TODAY, "cm", also=True, anyhow=True)
        build = log(build, here.planned, {"step": key, "minutes": 60}, TODAY, "cm")
    slow = AtWork("a", build, here.planned)
    assert known_rates([build, other.build])["sew a seam"].minutes > 8 > known_rates([here.build])["sew a seam"].minutes
    learned = {rate.work for rate in work(slow, other).learned}
    assert {"sew a seam", "press a seam"} <= learned
