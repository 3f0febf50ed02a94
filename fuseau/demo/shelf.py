"""The shelf of the demo workshop: what a maker has lying about, what is kept for whom, and two orders."""

import datetime
from typing import Any

from sqlalchemy import Engine

from fuseau.commands.cut import cut_cloth
from fuseau.commands.shelf import place_order, put, reserve, use_up
from fuseau.craft.layout.at_hand import lay_on_hand
from fuseau.craft.stock.articles import Article
from fuseau.document.shelf import OrderLine, Shelf
from fuseau.planning.pipeline import plan
from fuseau.planning.stages.cut import lay_ask, plan_cut
from fuseau.stand_ins.suppliers import arrival
from fuseau.store.shelf import ShelfStore
from fuseau.store.workshop import Workshop

_BEING_CUT, _NEXT = "Beekeeper General", "Lamplighter Regent"


def _cloth(name: str, label: str, long_mm: float, wide_mm: float, where: str, **more: Any) -> dict[str, Any]:
    size = {"length_mm": long_mm, "width_mm": wide_mm}
    return {"sort": "cloth", "name": name, "label": label, **size, "where": where, **more}


def _scrap(name: str, label: str, outline: tuple[tuple[float, float], ...], **more: Any) -> dict[str, Any]:
    return {"sort": "cloth", "name": name, "label": label, "outline": outline, "where": "scrap drawer", **more}


def _bones(name: str, label: str, long_mm: float, count: int = 1) -> dict[str, Any]:
    return {"sort": "bone", "name": name, "label": label, "length_mm": long_mm, "count": count, "where": "bone tube"}


def _metal(sort: str, name: str, label: str, count: int = 1, **more: Any) -> dict[str, Any]:
    return {"sort": sort, "name": name, "label": label, "count": count, "where": "metal tin", **more}


def _roll(sort: str, name: str, label: str, long_mm: float) -> dict[str, Any]:
    return {"sort": sort, "name": name, "label": label, "length_mm": long_mm, "where": "ribbon box"}


_OILED = ((0, 0), (380, 15), (365, 190), (250, 260), (120, 245), (10, 180))
_PIECES: tuple[dict[str, Any], ...] = (
    _cloth("coutil", "coutil", 2150, 1380, "roll by the window", cost=46),
    _cloth("lawn", "cotton lawn", 900, 1380, "shelf 2", cost=7),
    _cloth("sateen", "cotton sateen", 330, 1380, "shelf 2", lot="honey, bath 7", cost=3),
    _scrap(
        "sateen",
        "cotton sateen",
        _OILED,
        lot="honey, bath 7",
        flaws=(((180, 90), (205, 90), (200, 115), (182, 112)),),
        note="a spot of oil in it",
    ),
    _scrap("sateen", "cotton sateen", ((0, 0), (320, 0), (300, 120), (20, 140)), lot="honey, bath 7"),
    _scrap("brocade", "brocade", ((0, 0), (510, 0), (480, 330), (60, 300)), note="left of the Saltmarsh coat"),
    _cloth("organza_silk", "silk organza", 600, 1080, "shelf 3", cost=11),
    _bones("synthetic_7", "synthetic 7 × 1.5 mm", 900, 2),
    _bones("flat_12", "flat steel 12 × 1.0 mm", 1090),
    _bones("flat_6", "flat steel 6 × 0.8 mm", 640, 3),
    _bones("spiral_6", "spiral steel 6.4 × 1.6 mm", 2400),
    _metal("busk", "busk_230_4", "busk, 230 mm, 4 studs", cost=13),
    _metal("grommets", "grommet_5", "two-part grommet, 5 mm hole", 46, lot="brass, 3"),
    _roll("lace", "cord_4", "cord, 4 mm", 6200),
    _roll("tape", "tape_25", "tape, 25 mm", 2300),
    _roll("tape", "tape_14", "tape, 14 mm", 4000),
    {"sort": "thread", "name": "thread", "label": "sewing thread, reels of 200 m", "count": 4, "where": "thread rack"},
)


def stock_up(engine: Engine, workshop: Workshop, today: datetime.date) -> None:
    """Fill the shelf, keep of it for the build that is being cut, cut its lining, and have two orders under way."""
    store = ShelfStore(engine)
    by_name = {build.build.brief.name: build for build in workshop.builds()}
    store.edit(lambda shelf: put(shelf, _PIECES, "cm"), "What there is")
    being_cut, next_one = by_name[_BEING_CUT].id, by_name[_NEXT].id

    def keep(shelf: Shelf) -> Shelf:
        for piece in shelf.pieces:
            if piece.name == "synthetic_7" or (piece.name == "sateen" and piece.outline):
                shelf = reserve(shelf, being_cut, piece.id, None)
            if piece.sort == "busk":
                shelf = reserve(shelf, next_one, piece.id, None)
        return shelf

    store.edit(keep, f"Reserved for {_BEING_CUT}")
    store.edit(lambda shelf: _ordered(shelf, being_cut, next_one, today), "Ordered")
    _cut(store, workshop, being_cut, "lawn", today)


def _ordered(shelf: Shelf, being_cut: str, next_one: str, today: datetime.date) -> Shelf:
    whalebone = Article(sort="bone", name="synthetic_7", label="synthetic 7 × 1.5 mm", measure="length")
    lace = Article(sort="lace", name="cord_4", label="cord, 4 mm", measure="length")
    bones_for = OrderLine(article=whalebone, packs=6, pack=1000, price=2.1, builds=(being_cut,))
    lace_for = OrderLine(article=lace, packs=2, pack=5000, price=3.6, builds=(next_one,))
    asked = (("Hammer & Shank", (6.0, 2.0), 3, bones_for), ("Everything by Parcel", (15.0, 5.0), 22, lace_for))
    for shop, days, ago, line in asked:
        placed = today - datetime.timedelta(days=ago)
        due = arrival(f"o{shelf.numbered + 1}", [days], placed)
        shelf = place_order(shelf, shop, [line], placed, due)
    return shelf


def _cut(store: ShelfStore, workshop: Workshop, build_id: str, cloth: str, today: datetime.date) -> None:
    """A cloth of a build cut as it is laid on what there is."""
    opened, shelf = workshop.open(build_id), store.open().shelf
    planned = plan(opened.build)
    laying = lay_on_hand(lay_ask(opened.build, planned, cloth, list(shelf.for_build(build_id)), 1))
    beside = next(one.beside_mm for one in plan_cut(opened.build, planned).cloths if one.cloth == cloth)
    yesterday = today - datetime.timedelta(days=1)
    build = cut_cloth(
        build=opened.build,
        cloth=cloth,
        laying=laying,
        beside_mm=beside,
        shelf=shelf,
        build_id=build_id,
        today=yesterday,
    )
    store.edit(
        lambda now: use_up(now, build_id, cloth, build.cut.done[cloth]), f"Cut: {cloth}, for {opened.build.brief.name}"
    )
    workshop.edit(build_id, opened.revision, build, f"Cut: {opened.build.cloths[cloth].label}")
