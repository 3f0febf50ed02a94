"""Getting in and out: each way, what has to pass, what the lace must allow, and whether she can alone (model, 8)."""

import math
from typing import Literal

import numpy as np

from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.closures.front import Opening
from fuseau.craft.fit.fit import Fit, LevelFit
from fuseau.craft.wearer.body import Body

WayName = Literal["by the front", "by the side", "from behind", "up over the hips", "over the head", "round the neck"]


class WayIn(Record):
    """One way in: the girth that has to pass (mm), the gap behind that it needs, and whether it goes.

    `verdict`: as it is worn, only if the lace allows the gap, or not at all.
    """

    way: WayName
    passes_mm: float
    gap_mm: float
    verdict: Literal["yes", "only if", "no"]
    alone: bool
    sentence: Message


class Passing(Record):
    """What has to pass that is no level of the garment: round the head, and round shoulders and arms, mm.

    `guessed` names what nobody measured.
    """

    head_mm: float
    shoulders_mm: float
    guessed: tuple[Literal["head", "shoulders"], ...]


def passing(body: Body, head_mm: float | None, shoulders_mm: float | None, practice: Practice) -> Passing:
    """Head and shoulders as measured, or as they usually are for such a body."""
    chest = max((level.girth_mm for level in body if level.name in ("high_bust", "bust", "underbust")), default=900.0)
    guessed: list[Literal["head", "shoulders"]] = []
    if head_mm is None:
        guessed.append("head")
    if shoulders_mm is None:
        guessed.append("shoulders")
    return Passing(
        head_mm=head_mm or practice.head_mm,
        shoulders_mm=shoulders_mm or practice.shoulders_share * chest,
        guessed=tuple(guessed),
    )


def ways_in(
    fitted: Fit,
    body: Body,
    opening: Opening,
    others: Passing,
    practice: Practice,
    *,
    loops: bool = True,
    round_the_neck: bool = False,
    laced: bool = True,
) -> tuple[WayIn, ...]:
    """Every way into the garment, the one to take first.

    By an opening that separates the garment hangs loose, unlaced, with room for the hands. Otherwise its narrowest
    closed girth, where nothing opens, must stretch over what has to pass, less what the body gives. Without pull
    loops nobody tightens a back alone. A back that is not `laced` gives nothing: what opens has to be enough. A
    collar is got into by what opens too. Her padding is on her by then.
    """
    take_up = fitted.take_up_mm
    apart = (_comes_apart(opening, fitted, practice, round_the_neck),) if opening.separates else ()
    if round_the_neck:
        return (*apart, *(_collar(fitted, others, practice) if laced else ()))
    worn = fitted.shape.mean_mm
    found = []
    covered = [level for level in fitted.levels if level.gap_mm is not None]
    sewn = {level.name: level.closed_mm for level in fitted.levels if level.closed_mm is not None}
    if opening.separates:
        more = practice.getting_in_ease_mm + take_up
        gap = max(level.with_padding_mm + more - sewn[level.name] for level in covered)
        gap = max(gap, worn + practice.getting_in_ease_mm)
        found.append(_by_opening(opening, gap, max(level.with_padding_mm for level in covered), loops))
    # the other ways leave closed what separates
    closed = [sewn[level.name] for level in covered if opening.separates or not _opens(opening, level)]
    if opening.opens_low_mm is not None and not opening.separates:  # its stop does not open
        levels = sorted((level for level in fitted.levels if level.name in sewn), key=lambda level: level.z_mm)
        z, girths = [level.z_mm for level in levels], [sewn[level.name] for level in levels]
        closed.append(float(np.interp(opening.opens_low_mm, z, girths)))
    narrowest = min(closed)
    padded = {level.name: level.padded_mm for level in fitted.levels}
    hips = max((level.girth_mm + padded.get(level.name, 0.0) for level in body if level.back_mm < 0), default=0.0)
    chest = max((level.girth_mm + padded.get(level.name, 0.0) for level in body if level.back_mm > 0), default=0.0)
    passing: dict[WayName, float] = {"up over the hips": hips, "over the head": max(others.shoulders_mm, chest)}
    if not laced:
        through = [_as_it_is(name, mm, narrowest, take_up, practice, others) for name, mm in passing.items() if mm]
        return (*apart, *sorted(through, key=lambda way: way.verdict == "no"))
    for name, passes in passing.items():
        if passes:
            found.append(
                _through(
                    name=name,
                    passes=passes,
                    narrowest=narrowest,
                    take_up=take_up,
                    worn=worn,
                    practice=practice,
                    others=others,
                    loops=loops,
                )
            )
    first = found[:1] if opening.separates else []
    return (*first, *sorted(found[len(first) :], key=lambda way: (way.verdict == "no", way.gap_mm)))


def _comes_apart(opening: Opening, fitted: Fit, practice: Practice, collar: bool) -> WayIn:
    """In by what comes apart altogether, with nothing else to loosen."""
    ways: dict[str, WayName] = {"CF": "by the front", "CB": "from behind"}
    way = ways.get(opening.line, "by the side")
    passes = max(level.with_padding_mm for level in fitted.levels)
    if opening.kind == "lacing":
        gap = practice.getting_in_ease_mm + max(0.0, passes + fitted.take_up_mm - min(_closed(fitted)))
        said = message("way.apart.lacing", gap_mm=gap)
        return WayIn(way=way, passes_mm=passes, gap_mm=gap, verdict="only if", alone=True, sentence=said)
    behind = opening.line == "CB"
    code = "way.apart.neck" if collar else "way.apart.behind" if behind else "way.apart"
    said = message(code, opening=opening.kind, line=opening.line)
    return WayIn(way=way, passes_mm=passes, gap_mm=0.0, verdict="yes", alone=not behind, sentence=said)


def _closed(fitted: Fit) -> list[float]:
    return [level.closed_mm for level in fitted.levels if level.gap_mm is not None and level.closed_mm is not None]


def _as_it_is(
    name: WayName, passes: float, narrowest: float, take_up: float, practice: Practice, others: Passing
) -> WayIn:
    """In through a garment that is not laced, by what is open of it."""
    goes = passes * (1 - practice.passing_gives) + take_up <= narrowest
    guessed = name == "over the head" and "shoulders" in others.guessed
    code = f"way.as_it_is.{name.replace(' ', '_')}.{'yes' if goes else 'no'}" + (".guessed" if guessed else "")
    said = message(code, passes_mm=passes, narrowest_mm=narrowest)
    return WayIn(way=name, passes_mm=passes, gap_mm=0.0, verdict="yes" if goes else "no", alone=True, sentence=said)


def _opens(opening: Opening, level: LevelFit) -> bool:
    low, high = opening.opens_low_mm, opening.opens_high_mm
    return low is not None and high is not None and low - 1 <= level.z_mm <= high + 1


def _by_opening(opening: Opening, gap: float, passes: float, loops: bool) -> WayIn:
    side = opening.line != "CF"
    draw = "loops" if loops else "helper"
    if opening.kind == "busk":
        said = message(f"way.busk.{draw}", gap_mm=gap)
    elif opening.kind == "lacing":
        said = message("way.laced_front", gap_mm=gap)
    else:
        said = message(f"way.opening.{draw}", gap_mm=gap, opening=opening.kind, line=opening.line)
    alone = loops or opening.kind == "lacing"
    return WayIn(
        way="by the side" if side else "by the front",
        passes_mm=passes,
        gap_mm=gap,
        verdict="only if",
        alone=alone,
        sentence=said,
    )


def _through(
    name: WayName,
    passes: float,
    narrowest: float,
    take_up: float,
    worn: float,
    practice: Practice,
    others: Passing,
    loops: bool,
) -> WayIn:
    gap = max(0.0, passes * (1 - practice.passing_gives) + take_up - narrowest)
    verdict: Literal["yes", "only if", "no"] = "only if"
    if gap <= worn:
        verdict = "yes"
    elif gap > practice.widest_opening_mm:
        verdict = "no"
    guessed = name == "over the head" and "shoulders" in others.guessed
    code = f"way.{name.replace(' ', '_')}.{verdict.replace(' ', '_')}" + (".guessed" if guessed else "")
    said = message(code, gap_mm=gap, passes_mm=passes)
    return WayIn(way=name, passes_mm=passes, gap_mm=gap, verdict=verdict, alone=loops, sentence=said)


def _collar(fitted: Fit, others: Passing, practice: Practice) -> tuple[WayIn, ...]:
    take_up = fitted.take_up_mm
    across = max(level.with_padding_mm for level in fitted.levels) / math.pi
    gap = max(across + practice.getting_in_ease_mm - take_up, fitted.shape.mean_mm)
    narrowest = min(level.closed_mm for level in fitted.levels if level.closed_mm is not None)
    over = max(0.0, others.head_mm + take_up - narrowest)
    head = "way.collar_over_head.guessed" if "head" in others.guessed else "way.collar_over_head"
    return (
        WayIn(
            way="round the neck",
            passes_mm=across * math.pi,
            gap_mm=gap,
            verdict="only if",
            alone=False,
            sentence=message("way.round_the_neck", gap_mm=gap),
        ),
        WayIn(
            way="over the head",
            passes_mm=others.head_mm,
            gap_mm=over,
            verdict="yes" if over <= fitted.shape.mean_mm else "only if",
            alone=False,
            sentence=message(head, gap_mm=over, passes_mm=others.head_mm),
        ),
    )
