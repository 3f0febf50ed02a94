"""What is said of trims (model, sections 15 and 18)."""

from collections.abc import Iterator
from dataclasses import dataclass

from fuseau.craft.base.findings import Finding, finding
from fuseau.craft.closures.front import Opening
from fuseau.craft.trims.choices import TrimChoices, TrimLine
from fuseau.planning.trims.shown import Shown, TrimsPlan


@dataclass(frozen=True)
class TrimsAbout:
    """The choices, what opens, whether it is laced behind, and the cloths that were cut with which frills in them."""

    trims: TrimChoices
    opening: Opening | None
    laced: bool
    cut_with: tuple[tuple[str, tuple[str, ...]], ...]


def check_trims(about: TrimsAbout, plan: TrimsPlan) -> Iterator[Finding]:
    """What can't be as it is, what is too little, skimpy, shut or slips."""
    for one in (*plan.along, *plan.areas, *plan.hanging, *plan.straps):
        if one.fault is not None:
            yield finding(
                "trim.fault",
                "trims",
                "caution",
                at=one.fault_at,
                where=one.name,
                said=one.fault.code,
                also=one.fault.given,
            )
    for i, along in enumerate(plan.along):
        if along.laid and along.laid.short:
            yield _short(f"trims.along.{i}", along, along.laid.short, counted=along.laid.count is not None)
    for i, area in enumerate(plan.areas):
        wanted = about.trims.areas[i]
        if area.laid is None:
            continue
        if area.laid.short:
            yield _short(f"trims.areas.{i}", area, area.laid.short, counted=True)
        room = area.laid.halves * len(area.laid.fits)
        if wanted.how == "motif" and room < wanted.count:
            yield finding(
                "motif.no_room",
                "trims",
                "caution",
                at=f"trims.areas.{i}.count",
                where=area.name,
                numbers={"room": float(room), "count": float(wanted.count)},
            )
    for one, trim in zip(plan.hanging, about.trims.hanging, strict=True):
        frills = dict(about.cut_with).get(trim.cloth)
        if one.fault is None and frills is not None and trim.key not in frills:
            yield finding("frill.uncut", "trims", "caution", where=one.name, cloth=one.cloth_label)
    yield from _check_hanging(about, plan)
    for i, strap in enumerate(plan.straps):
        if strap.laid is not None and strap.laid.guessed:
            yield finding("strap.guessed", "trims", "advice", at=f"trims.straps.{i}.over_mm", where=strap.name)
    if plan.load is not None and plan.load.word != "holds":
        yield finding(
            "hold.slips" if plan.load.word == "slips" else "hold.barely",
            "trims",
            "caution" if plan.load.word == "slips" else "advice",
            numbers={
                "weight_n": plan.load.weight_n,
                "holds_n": plan.load.holds_n,
                "kilos": plan.load.grams / 1000,
            },
        )


def _short(at: str, shown: Shown, lacks: float, *, counted: bool) -> Finding:
    field = "at_hand" if counted else "at_hand_mm"
    return finding(
        "trim.short",
        "trims",
        "caution",
        at=f"{at}.{field}",
        where=shown.name,
        numbers={"short": lacks},
        said="trim.short.pieces" if counted else "trim.short.length",
    )


def _check_hanging(about: TrimsAbout, plan: TrimsPlan) -> Iterator[Finding]:
    for i, frill in enumerate(plan.hanging):
        if frill.fault is not None:
            continue
        for k, tier in enumerate(frill.tiers):
            if tier.skimpy:
                yield finding(
                    "trim.skimpy",
                    "trims",
                    "advice",
                    at=f"trims.hanging.{i}.tiers.{k}.fullness",
                    where=frill.name,
                    numbers={"fullness": tier.fullness},
                )
        trim = about.trims.hanging[i]
        if trim.own_band or trim.line.on not in ("hem", "waist") or trim.line.half != "both" or _is_part(trim.line):
            continue
        bodice = _where_it_opens(about)
        if trim.opens is None or not bodice or trim.opens in bodice:
            continue
        yield finding(
            "skirt.opens",
            "trims",
            "caution",
            at=f"trims.hanging.{i}.opens",
            where=frill.name,
            said="skirt.opens.nowhere" if trim.opens == "nowhere" else "skirt.opens",
            opens=trim.opens,
            bodice=" and ".join(bodice),
        )


def _is_part(line: TrimLine) -> bool:
    return bool(line.begins_mm) or line.ends_mm is not None


def _where_it_opens(about: TrimsAbout) -> list[str]:
    """Where the bodice opens to be got into: CF, side, or CB, where it is laced too if nothing else opens."""
    found = []
    opening = about.opening
    if opening is not None and opening.kind != "none":
        found.append(opening.line if opening.line in ("CF", "CB") else "side")
    if about.laced and "CB" not in found:
        found.append("CB")
    return found
