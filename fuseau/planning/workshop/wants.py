"""What each build takes of the shelf and what it lacks: bones cut, cloths laid, and everything else counted."""

from collections.abc import Callable

from fuseau.craft.layout.at_hand import LayAsk, Laying
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.stock import articles
from fuseau.document.build import Build
from fuseau.planning.asked.schools import bones_at_hand, cutting
from fuseau.planning.plan import Plan
from fuseau.planning.stages.cut import lay_ask, plan_cut, to_buy_mm, uses_of
from fuseau.planning.told.needs import Need, needs_of
from fuseau.planning.workshop.shopping import Pool, Taken, Want, want

LAY_S = 1


def wants_of(
    build_id: str, build: Build, planned: Plan, pool: Pool, lay: Callable[[LayAsk], Laying]
) -> tuple[Want, ...]:
    """Every article that a build needs, with what it takes of the `pool` for it; what it takes is gone from the pool.

    `lay` lays a cloth. Cloths that are cut already need nothing more. Empty while nothing is drafted, and once it is
    finished.
    """
    if planned.pattern is None or build.record.finished_on is not None:
        return ()
    taken: dict[tuple[str, str], list[Taken]] = {}
    # bones that are cut already need nothing more
    plans = () if build.bones.cut else cutting(build, planned, bones_at_hand(pool.at_hand(build_id)))
    plans = tuple(plan for plan in plans if not build.bones_ticked(plan.kind))
    for plan in plans:
        for piece in plan.pieces:
            if piece.source == "shelf":
                stock = _bone(pool, build_id, plan.kind, piece.length_mm)
                taken.setdefault(("bone", plan.kind), []).append(pool.take(build_id, stock, 1))
    cloths: dict[ClothName, float] = {}
    for cut in plan_cut(build, planned).cloths:
        if cut.cloth in build.cut_cloths:
            continue
        laying = lay(lay_ask(build, planned, cut.cloth, pool.at_hand(build_id), LAY_S))
        cloths[cut.cloth] = to_buy_mm(laying, cut.beside_mm)
        for stock, use in uses_of(laying, cut.beside_mm, pool.shelf.lengths).items():
            taken.setdefault(("cloth", cut.cloth), []).append(pool.take(build_id, stock, use.amount))
    found = []
    for need in needs_of(build, planned, cloths, plans):
        key = need.article.sort, need.article.name
        found.append(want(build_id, need, pool, taken.pop(key, ())))
    for (_, name), used in taken.items():  # bones of which none has to be bought
        nothing = Need(article=articles.bone(build.bone_kinds[name]), stage="bones", amount=0)
        found.append(Want(build=build_id, need=nothing, taken=tuple(used), coming=0, buy=0))
    return tuple(found)


def _bone(pool: Pool, build_id: str, kind: str, length_mm: float) -> str:
    """Under which number a piece of bone lies that the cutting takes."""
    for stock, amount in pool.at_hand(build_id):
        if amount >= 1 and stock.is_bone(kind, length_mm):
            return stock.id
    raise LookupError(f"no piece of {kind} of {length_mm} mm is left")
