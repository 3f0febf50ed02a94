"""Patterns that come from outside: widths typed per level off a taped or bought pattern (model, section 4)."""

from collections.abc import Mapping
from typing import Annotated

import numpy as np
from pydantic import Field

from fuseau.craft.base.curves import calm_basis
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Finding, finding
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.pattern import Allowances, EdgeLine, Panel, Pattern, Station
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.measures import LEVEL_LABELS, NECK, LevelName

Width = Annotated[float, Length("a panel's width", 10, 600)]


class TypedLevel(Record):
    """Widths of all panels of the half at one level, CF to CB, stitch line to stitch line, mm."""

    name: LevelName
    widths_mm: tuple[Width, ...] = Field(min_length=2, max_length=9)


class TypedPattern(Record):
    """A pattern as typed: its levels, and how many panels lie in front of the side seam."""

    levels: tuple[TypedLevel, ...] = Field(min_length=3, max_length=8)
    front_panels: int = Field(ge=1, le=7)


def from_widths(typed: TypedPattern, body: Body, top: EdgeLine, hem: EdgeLine, allowances: Allowances) -> Pattern:
    """A pattern with just these widths at these levels of `body`; girths are measured from it, not from the body.

    CF and CB are straight; every other panel takes its shape half on each side. Levels that were not typed
    follow from those that were. Raises Unmakeable at
    `typed.levels.<i>` when a level has another number of panels, comes twice, or the waist is missing.
    """
    count = len(typed.levels[0].widths_mm)
    names = [level.name for level in typed.levels]
    if "waist" not in names:
        raise Unmakeable("typed.levels", "typed.no_waist")
    for i, level in enumerate(typed.levels):
        if len(level.widths_mm) != count:
            raise Unmakeable(
                f"typed.levels.{i}",
                "typed.widths_missing",
                level=level.name,
                here=len(level.widths_mm),
                first=count,
            )
        if names.index(level.name) != i:
            raise Unmakeable(f"typed.levels.{i}", "typed.twice", level=level.name)
    if typed.front_panels >= count:
        raise Unmakeable("typed.front_panels", "no_panel_behind")
    given = {level.name: level.widths_mm for level in typed.levels}
    widths = _at_every_level(given, body)
    widest = widths.max(axis=0)
    left = (widest - widths) / 2
    left[:, 0] = 0.0  # CF is straight, for a busk
    left[:, -1] = (widest - widths)[:, -1]  # and so is CB, for the holes
    return Pattern(
        stations=tuple(
            Station(name=level.name, front_mm=level.front_mm, side_mm=level.side_mm, back_mm=level.back_mm)
            for level in body
        ),
        panels=tuple(
            Panel(number=i + 1, cf_edge_mm=tuple(left[:, i]), cb_edge_mm=tuple(left[:, i] + widths[:, i]))
            for i in range(count)
        ),
        front_panels=typed.front_panels,
        top=top,
        hem=hem,
        allowances=allowances,
    ).fixed()


def _at_every_level(given: dict[LevelName, tuple[float, ...]], body: Body) -> np.ndarray:
    """Widths (levels, panels) at every level of the body.

    As typed; between, on the curve through what was typed; beyond, the last typed ones in proportion to the body.
    """
    typed = [level for level in body if level.name in given]
    widths = np.array([given[level.name] for level in typed])
    heights = np.array([level.side_mm for level in typed])
    found = calm_basis(heights, widths).at([level.side_mm for level in body]) @ widths
    for i, level in enumerate(body):
        if not heights[0] <= level.side_mm <= heights[-1]:
            end = 0 if level.side_mm < heights[0] else -1
            found[i] = widths[end] * level.girth_mm / typed[end].girth_mm
    return np.maximum(found, 10.0)


def check_typed(pattern: Pattern, body: Body, meant_mm: Mapping[LevelName, float] | None = None) -> list[Finding]:
    """Girths that can hardly be meant for this wearer: probably allowances typed in, or a panel forgotten.

    What is let in by gussets, what she set by hand and what is `meant_mm` beside her girth (room asked for, padding) is
    no such error.
    """
    findings = []
    shape, meant = pattern.shape, meant_mm or {}
    girths, let_in = shape.sewn_girth(shape.nominal), 2 * shape.let_in(shape.nominal)
    by_hand = {girth.level: girth.whole_mm for girth in pattern.decided}
    for station, girth, gussets in zip(pattern.stations, girths, let_in, strict=True):
        if station.name is None or station.name not in body or station.name in NECK:
            continue
        natural = body[station.name].girth_mm
        added = by_hand.get(station.name, 0.0)  # gussets let in by hand are among what she decided
        of_widths = girth - (max(gussets, added) if added >= 0 else gussets + added) - meant.get(station.name, 0.0)
        if 0.72 * natural <= of_widths <= 1.05 * natural:
            continue
        findings.append(
            finding(
                "girth_far_off",
                "pattern",
                "caution",
                where=LEVEL_LABELS[station.name],
                numbers={"sewn_mm": float(girth), "body_mm": natural},
                said="girth_far_off.small" if girth < natural else "girth_far_off.big",
                level=station.name,
            )
        )
    return findings
