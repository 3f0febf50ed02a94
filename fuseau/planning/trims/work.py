"""Trims as they are made: what goes into their steps, what is cut for them, what is bought (model, 13 and 15)."""

import math
from collections.abc import Iterator

from fuseau.craft.base.findings import Message, message
from fuseau.craft.layout.pieces import ClothPiece
from fuseau.craft.making.made_up import TrimWhen, TrimWork
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.pattern.trueing import Point
from fuseau.craft.stock import articles
from fuseau.craft.stock.articles import Article
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.trims.shown import HangingShown

_SEAM_MM = 10.0
_ARC_POINTS = 48


def trim_works(build: Build, planned: Plan) -> tuple[TrimWork, ...]:
    """Every trim that can be as it is, as it is sewn on."""
    shown, choices = planned.trims, build.trims
    if shown is None:
        return ()
    found = []
    for along, trim in zip(shown.along, choices.along, strict=True):
        if along.laid is None:
            continue
        laid = along.laid
        amount = (
            message("step.material.pieces", count=float(laid.count), pitch_mm=laid.pitch_mm or 0.0)
            if laid.count is not None
            else message("step.material.length", length_mm=laid.needed_mm or 0.0)
        )
        on_edge = trim.line.on in ("top line", "hem") and trim.line.in_mm < 5
        when: TrimWhen = "on edges" if on_edge or trim.detachable else "before bones"
        found.append(TrimWork(trim.key, trim.name, laid.works, when, materials=(amount, *_thread(laid.thread_mm))))
    for area, over in zip(shown.areas, choices.areas, strict=True):
        if area.laid is not None and area.laid.works:
            panels = tuple(sorted({number for number, _ in area.laid.outline}))
            thread = _thread(area.laid.thread_mm)
            found.append(
                TrimWork(
                    key=over.key,
                    name=over.name,
                    works=area.laid.works,
                    when="before joining",
                    panels=panels,
                    materials=thread,
                )
            )
    for floss in shown.flossing:
        if floss.laid is not None and floss.laid.count:
            works, thread = floss.laid.works, _thread(floss.laid.thread_mm)
            found.append(TrimWork(floss.key, floss.name, works, "on flossed ends", materials=thread, later=True))
    for hung in shown.hanging:
        if hung.fault is None:
            materials = tuple(_cut_as(hung))
            found.append(TrimWork(hung.key, hung.name, hung.works, "on edges", materials=materials, cloth=hung.cloth))
    for strap, one in zip(shown.straps, choices.straps, strict=True):
        if strap.laid is not None:
            size = message(
                "step.material.strap",
                count=float(strap.laid.count),
                length_mm=strap.laid.cut_mm,
                width_mm=one.wide_mm,
            )
            works = (("strap", float(strap.laid.count)),)
            found.append(TrimWork(strap.key, strap.name, works, "after the fitting", materials=(size,)))
    if choices.waist_stay and shown.load is not None:
        found.append(TrimWork("stay", "waist stay", (("waist tape", 1.0),), "on edges"))
    for chain in shown.chains:
        size = message("step.material.chain", count=float(chain.count), length_mm=chain.length_mm)
        found.append(TrimWork(chain.key, chain.name, chain.works, "on edges", materials=(size,)))
    return tuple(found)


def _thread(length_mm: float) -> tuple[Message, ...]:
    return (message("step.material.thread", length_mm=length_mm),) if length_mm else ()


def _cut_as(hung: HangingShown) -> Iterator[Message]:
    for tier in hung.tiers:
        yield message(
            "step.material.cut_strip",
            cloth=hung.cloth_label,
            count=float(tier.strips),
            length_mm=tier.strip_mm,
            width_mm=tier.high_mm,
        )
    if hung.circle is not None:
        yield message(
            "step.material.sector",
            cloth=hung.cloth_label,
            count=float(hung.circle.pieces),
            inner_mm=hung.circle.inner_cut_mm,
            outer_mm=hung.circle.outer_cut_mm,
        )


def hanging_pieces(build: Build, planned: Plan) -> tuple[ClothPiece, ...]:
    """What frills and skirts are cut from, as pieces for the table."""
    found = []
    for hung, trim in zip(planned.trims.hanging if planned.trims else (), build.trims.hanging, strict=True):
        if hung.fault is not None:
            continue
        if hung.circle is not None:
            found.append(_piece(build, hung, 0, _sector(hung), hung.circle.pieces))
        for k, tier in enumerate(hung.tiers):
            outline: tuple[Point, ...] = (
                (0.0, 0.0),
                (tier.strip_mm, 0.0),
                (tier.strip_mm, tier.high_mm),
                (0.0, tier.high_mm),
            )
            if trim.strips == "along":
                outline = tuple((z, x) for x, z in reversed(outline))
            found.append(_piece(build, hung, k, outline, tier.strips))
    return tuple(found)


def _piece(build: Build, hung: HangingShown, tier: int, outline: tuple[Point, ...], count: int) -> ClothPiece:
    cloth = build.cloths[hung.cloth]
    return ClothPiece(
        key=f"{hung.key} {tier + 1}",
        what="frill",
        label=f"{hung.name}, tier {tier + 1}" if tier else hung.name,
        ply=build.layers.carrying,
        cloth=hung.cloth,
        panels=(),
        half=None,
        count=count,
        mirrored=False,
        outline=outline,
        stitch=outline,
        grain="along",
        tolerance_deg=build.practice.grain_free_deg,
        one_way=cloth.one_way,
        note=message("piece.frill", name=hung.name),
    )


def _sector(hung: HangingShown) -> tuple[Point, ...]:
    """A ring sector with its middle upright, cut lines."""
    found = hung.circle
    assert found is not None
    half = math.radians(min(found.angle_deg, 359.0)) / 2
    angles = [-half + 2 * half * i / (_ARC_POINTS - 1) for i in range(_ARC_POINTS)]
    outer = [(found.outer_cut_mm * math.sin(a), found.outer_cut_mm * math.cos(a)) for a in angles]
    inner = [(found.inner_cut_mm * math.sin(a), found.inner_cut_mm * math.cos(a)) for a in reversed(angles)]
    return (*outer, *inner)


def frill_pieces(build: Build, planned: Plan) -> dict[ClothName, tuple[str, int]]:
    """How many pieces of frills and skirts are cut from each cloth, with its label."""
    found: dict[ClothName, tuple[str, int]] = {}
    for piece in hanging_pieces(build, planned):
        label, count = found.get(piece.cloth, (build.cloths[piece.cloth].label, 0))
        found[piece.cloth] = label, count + piece.count
    return found


def trim_articles(build: Build, planned: Plan) -> Iterator[tuple[Article, float]]:
    """What is bought for trims that is no cloth: pieces, or mm; less what is at hand."""
    shown, choices = planned.trims, build.trims
    if shown is None:
        return
    for along, trim in zip(shown.along, choices.along, strict=True):
        if along.laid is None:
            continue
        counted = along.laid.count is not None
        had = (trim.at_hand if counted else trim.at_hand_mm) or 0.0
        amount = float(along.laid.count or 0) if counted else along.laid.needed_mm or 0.0
        if amount > had:
            yield articles.trim(trim.name, by_length=not counted), amount - had
    for area, over in zip(shown.areas, choices.areas, strict=True):
        if area.laid is not None and area.laid.count:
            lacks = area.laid.count - (over.at_hand or 0)
            if lacks > 0:
                yield articles.trim(over.name, by_length=False), float(lacks)
    for chain in shown.chains:
        yield articles.trim(chain.name, by_length=True), chain.count * chain.length_mm
