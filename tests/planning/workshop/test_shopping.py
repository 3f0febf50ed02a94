"""What is needed, what there is, what is bought: counts against the plan, and the shelf shared between builds."""

import datetime

import pytest

from fuseau.commands.shelf import arrive, place_order, put, reserve
from fuseau.craft.layout.at_hand import lay_quickly
from fuseau.craft.materials.catalogue import GROMMETS
from fuseau.craft.stock.articles import Article, cloth, known_articles, tape
from fuseau.document.shelf import OrderLine, Shelf
from fuseau.planning.asked.schools import cutting
from fuseau.planning.told.needs import Need, needs_of
from fuseau.planning.workshop.shopping import Offer, Pool, ready_by, shopping, want
from fuseau.planning.workshop.wants import wants_of
from fuseau.stand_ins.suppliers import SHOPS, arrival, offers
from tests.conftest import edited
from tests.kinds import built
from tests.plans import plan

TODAY = datetime.date(2026, 11, 26)
HOLES = Article(sort="grommets", name="grommet_5", label="grommets", measure="piece")
LACE = Article(sort="lace", name="cord_4", label="cord", measure="length")


def need(article=HOLES, amount=26, **more):
    return Need(article=article, stage="back", amount=amount, **more)


def offer(article=HOLES, pack=40, price=6.0, shop="A", days=4.0, **more):
    return Offer(shop=shop, article=article, pack=pack, price=price, days=days, days_spread=1.0, **more)


def stocked(*pieces):
    return put(Shelf(), pieces, "cm")


def grommets(count):
    return {"sort": "grommets", "name": "grommet_5", "label": "grommets", "count": count}


def test_everything_that_is_bought_follows_from_the_plan():
    build = built("underbust corset")
    planned = plan(build)
    found = {
        (one.article.sort, one.article.name): one
        for one in needs_of(build, planned, {"coutil": 412.0}, cutting(build, planned, {}))
    }
    holes = found["grommets", build.back.holes]
    assert holes.amount == planned.holes.count + planned.holes.spares
    assert holes.spares == planned.holes.spares
    assert found["busk", f"busk_{planned.busk.length_mm:g}_{len(planned.busk.studs_mm)}"].amount == 1
    assert 0 <= found["lace", build.back.lace].amount - planned.lace.cut_mm < 10
    assert found["cloth", "coutil"].amount == 420  # to the next centimetre
    assert found["tape", "tape_25"].amount >= sum(planned.waist_tape.cuts_mm)
    bones = [one for (sort, _), one in found.items() if sort == "bone"]
    assert sum(one.amount for one in bones if one.each_mm is None) >= 2 * max(bone.length_mm for bone in planned.bones)
    assert found["thread", "thread"].amount >= 1


@pytest.mark.parametrize(
    ("fields", "sort"),
    [({"front__opening": "zip"}, "zip"), ({"front__opening": "hooks"}, "hooks"), ({"back__holes": "worked_4"}, None)],
)
def test_what_closes_it_is_bought_and_what_is_made_by_hand_is_not(fields, sort):
    build = edited(built("underbust corset"), **fields)
    planned = plan(build)
    sorts = {one.article.sort for one in needs_of(build, planned, {}, ())}
    if sort:
        assert sort in sorts
        assert "busk" not in sorts
    else:
        assert "grommets" not in sorts
        assert not GROMMETS["worked_4"].bought


def test_every_article_that_is_needed_is_in_the_catalogue_and_sold_by_somebody():
    build = built("underbust corset")
    known = {(one.sort, one.name) for one in known_articles(build.cloths, build.bone_kinds)}
    sold = {(one.article.sort, one.article.name) for one in offers()}
    planned = plan(build)
    for one in needs_of(build, planned, {"coutil": 100.0}, cutting(build, planned, {})):
        assert (one.article.sort, one.article.name) in known
        assert (one.article.sort, one.article.name) in sold


def test_who_needs_it_first_gets_what_is_free_and_what_is_reserved_is_left_alone():
    shelf = reserve(stocked(grommets(40)), "later", "s1", 10)
    pool = Pool(shelf)
    first = want("first", need(), pool)
    later = want("later", need(), pool)
    assert (sum(one.amount for one in first.taken), first.buy) == (26, 0)
    assert [one.amount for one in later.taken] == [14]
    assert later.buy == 12


def test_who_has_to_buy_is_told_who_gets_what_lies_free():
    pool = Pool(stocked(grommets(40)))
    wants = [want("first", need(), pool), want("later", need(), pool)]
    (line,) = shopping(wants, {}, [offer()], TODAY).lines
    assert (line.builds, line.before) == (("later",), ("first",))
    kept = Pool(reserve(stocked(grommets(26)), "first", "s1", None))
    (other,) = shopping([want("first", need(), kept), want("later", need(), kept)], {}, [offer()], TODAY).lines
    assert other.before == ()


def test_a_lace_has_to_be_in_one_piece():
    pieces = [{"sort": "lace", "name": "cord_4", "label": "cord", "length_mm": 2000}] * 3
    found = want("a", need(LACE, 4000, in_one=True), Pool(stocked(*pieces)))
    assert (found.taken, found.buy) == ((), 4000)
    assert want("a", need(LACE, 1800, in_one=True), Pool(stocked(*pieces))).buy == 0


def test_pieces_are_no_sum_of_themselves():
    """Seven laces of a metre are no lace of 6.2, and eight short tapes are no two of 355."""
    laces = [{"sort": "lace", "name": "cord_4", "label": "cord", "length_mm": 1000, "count": 7}]
    long = want("a", need(LACE, 6200, in_one=True), Pool(stocked(*laces)))
    assert (long.taken, long.buy, long.buy_mm) == ((), 6200, (6200,))
    (line,) = shopping([long], {}, [offer(LACE, 5000, 4.0), offer(LACE, 10_000, 9.0)], TODAY).lines
    assert [(choice.offer.pack, choice.packs) for choice in line.choices] == [(10_000, 1)]
    waist = need(tape(25), 710, lengths_mm=(355, 355))
    short = [{"sort": "tape", "name": "tape_25", "label": "tape", "length_mm": 90, "count": 8}]
    assert want("a", waist, Pool(stocked(*short))).buy_mm == (355, 355)
    both = want("a", waist, Pool(stocked(*short, {**short[0], "length_mm": 400, "count": 1})))
    assert (both.buy_mm, [taken.amount for taken in both.taken]) == ((355,), [355])
    assert want("a", waist, Pool(stocked({**short[0], "length_mm": 720, "count": 1}))).buy == 0


def test_what_is_on_its_way_is_not_bought_again_but_for_whom_it_was_ordered():
    line = OrderLine(article=HOLES, packs=1, pack=40, builds=("a",))
    shelf = place_order(Shelf(), "A", [line], TODAY, TODAY)
    pool = Pool(shelf)
    assert want("b", need(), pool).buy == 26
    mine = want("a", need(), pool)
    assert (mine.coming, mine.buy) == (26, 0)
    there = want("a", need(), Pool(arrive(shelf, "o1", TODAY)))
    assert (there.coming, there.buy, there.taken[0].reserved) == (0, 0, True)


def test_builds_share_a_line_in_the_packs_that_are_sold_and_the_first_day_counts():
    wants = [want("a", need(), Pool(Shelf())), want("b", need(amount=20), Pool(Shelf()))]
    days = {"a": datetime.date(2027, 1, 20), "b": datetime.date(2026, 12, 20)}
    found = shopping(wants, days, [offer(), offer(pack=100, price=13.0, shop="B", days=15.0)], TODAY)
    (line,) = found.lines
    assert (line.amount, line.builds, line.needed_on) == (46, ("a", "b"), days["b"])
    chosen = line.choices[line.chosen]
    assert (chosen.offer.shop, chosen.packs, chosen.price) == ("A", 2, 12.0)
    assert line.order_by == days["b"] - datetime.timedelta(days=chosen.offer.surely_days)
    assert found.price == 12.0


def test_what_has_to_be_in_one_is_not_pieced_from_packs():
    wants = [want(name, need(LACE, 3000, in_one=True), Pool(Shelf())) for name in "ab"]
    (line,) = shopping(wants, {}, [offer(LACE, 5000, 4.0)], TODAY).lines
    assert line.choices[0].packs == 2  # 6 m in all, and no two laces of 3 m in one pack of 5


def test_in_time_goes_before_cheap_and_late_goes_by_the_day():
    cheap, quick = offer(price=3.0, shop="slow", days=20.0), offer(price=9.0, shop="quick", days=3.0)
    soon = {"a": TODAY + datetime.timedelta(days=8)}
    wants = [want("a", need(), Pool(Shelf()))]
    (line,) = shopping(wants, soon, [cheap, quick], TODAY).lines
    assert [one.offer.shop for one in line.choices] == ["quick", "slow"]
    (late,) = shopping(wants, {"a": TODAY}, [cheap, quick], TODAY).lines
    assert not late.choices[late.chosen].in_time
    assert late.choices[late.chosen].offer.shop == "quick"
    (any_day,) = shopping(wants, {}, [cheap, quick], TODAY).lines
    assert any_day.order_by is None
    assert any_day.choices[any_day.chosen].offer.shop == "slow"


def test_where_nobody_has_a_cloth_others_that_would_do_are_named():
    build = built("underbust corset")
    asked = need(cloth(build.cloths["coutil"]), 500, in_one=True)
    gone = offer(asked.article, 500, 12.0, in_stock=False)
    others = [offer(cloth(build.cloths[name]), 500, 9.0) for name in ("lawn", "ticking")]
    (line,) = shopping([want("a", asked, Pool(Shelf()))], {}, [gone, *others], TODAY).lines
    assert (line.choices, line.chosen) == ((), None)
    assert line.instead == (build.cloths["ticking"].label,)
    (alone,) = shopping([want("a", asked, Pool(Shelf()))], {}, [gone], TODAY).lines
    assert alone.instead == ()  # nobody has the ticking either


def test_two_builds_on_one_length_of_cloth():
    build = built("underbust corset")
    planned = plan(build)
    cloth_there = {"sort": "cloth", "name": "coutil", "label": "coutil", "length_mm": 420, "width_mm": 1380}
    pool = Pool(stocked(cloth_there, {**cloth_there, "name": "lawn", "length_mm": 3000}))
    both = [wants_of(name, build, planned, pool, lay_quickly) for name in "ab"]
    first, second = ({one.need.article.name: one for one in wants} for wants in both)
    assert first["coutil"].buy == 0
    assert first["coutil"].taken
    assert second["coutil"].buy > 0
    assert second["lawn"].buy == 0
    used = [one.amount for wants in (first, second) for one in wants["lawn"].taken]
    assert sum(used) <= 3000


def test_a_delivery_comes_within_its_days_and_the_same_on_every_machine():
    days = [(arrival(f"o{i}", [(6.0, 2.0)], TODAY) - TODAY).days for i in range(60)]
    assert min(days) >= 4
    assert max(days) <= 8
    assert len(set(days)) > 2
    assert arrival("o7", [(6.0, 2.0)], TODAY) == arrival("o7", [(6.0, 2.0)], TODAY)
    known = list(offers())
    assert {one.shop for one in known} == {shop.name for shop in SHOPS}
    gone = sum(not one.in_stock for one in known)
    assert 0 < gone < len(known) / 4


def test_everything_has_to_be_here_some_days_before():
    practice = built("underbust corset").practice
    assert ready_by(datetime.date(2026, 12, 31), practice) == datetime.date(2026, 12, 21)
    assert ready_by(None, practice) is None
