"""Alterations: take in and let out at seams, from one pattern version to the next (model, section 5)."""

from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from fuseau.craft.lengths import Length
from fuseau.craft.pattern import EdgeLine, Panel, Pattern
from fuseau.craft.record import Record, Unmakeable
from fuseau.craft.wearer import LevelName

Amount = Annotated[float, Length("an alteration", -80, 80)]


class SeamChange(Record):
    """What is done at one seam, by station from the lowest up, in mm; positive lets out, negative takes in.

    `cf_side_mm` is added to the panel before the seam, `cb_side_mm` to the panel after it.
    """

    seam: int = Field(ge=1, le=7, description="Seam k joins panels k and k + 1.")
    cf_side_mm: tuple[Amount, ...]
    cb_side_mm: tuple[Amount, ...]


class SeamMark(Record):
    """What to mark on the paper at one seam and level: mm per panel edge."""

    seam: str
    level: LevelName
    z_mm: float
    kind: Literal["take in", "let out"]
    cf_side_mm: float
    cb_side_mm: float


class Alteration(Record):
    """Everything that changes between two versions with the same panels."""

    seams: tuple[SeamChange, ...] = ()
    top: EdgeLine | None = None
    hem: EdgeLine | None = None

    def inverse(self, before: Pattern) -> "Alteration":
        """The alteration that brings back `before`."""
        return Alteration(
            seams=tuple(
                SeamChange(
                    seam=change.seam,
                    cf_side_mm=tuple(-amount for amount in change.cf_side_mm),
                    cb_side_mm=tuple(-amount for amount in change.cb_side_mm),
                )
                for change in self.seams
            ),
            top=before.top if self.top else None,
            hem=before.hem if self.hem else None,
        )


def alter(pattern: Pattern, alteration: Alteration) -> Pattern:
    """A new pattern with the alteration made. Raises Unmakeable for a seam that it does not have."""
    cf_edges = [np.array(panel.cf_edge_mm) for panel in pattern.panels]
    cb_edges = [np.array(panel.cb_edge_mm) for panel in pattern.panels]
    for change in alteration.seams:
        if change.seam >= len(pattern.panels) or len(change.cf_side_mm) != len(pattern.stations):
            raise Unmakeable("versions", f"This pattern has no seam {change.seam}·{change.seam + 1}.")
        cb_edges[change.seam - 1] = cb_edges[change.seam - 1] + np.array(change.cf_side_mm)
        cf_edges[change.seam] = cf_edges[change.seam] - np.array(change.cb_side_mm)
    return pattern.model_copy(
        update={
            "panels": tuple(
                Panel(number=panel.number, cf_edge_mm=tuple(cf), cb_edge_mm=tuple(cb))
                for panel, cf, cb in zip(pattern.panels, cf_edges, cb_edges, strict=True)
            ),
            "top": alteration.top or pattern.top,
            "hem": alteration.hem or pattern.hem,
        }
    )


def same_cut(one: Pattern, other: Pattern) -> bool:
    """Whether two patterns have the same panels and stations, so that one can be altered into the other."""
    return (
        len(one.panels) == len(other.panels)
        and one.front_panels == other.front_panels
        and [station.name for station in one.stations] == [station.name for station in other.stations]
    )


def let_girths(
    pattern: Pattern,
    front_change_mm: np.ndarray,
    back_change_mm: np.ndarray,
    shares: tuple[np.ndarray, np.ndarray],
) -> Alteration:
    """Change the half girths of front and back block by level, split over the seams by the draft's shares.

    `front_change_mm`, `back_change_mm` are (stations,); `shares` are (stations, edges) of both blocks, each
    row summing to 1, CF and CB edges 0. The result changes the sewn girth by exactly twice their sum.
    """
    front_shares, back_shares = shares
    by_edge = np.concatenate([front_shares * front_change_mm[:, None], back_shares * back_change_mm[:, None]], axis=1)
    return Alteration(
        seams=tuple(
            SeamChange(seam=seam, cf_side_mm=tuple(by_edge[:, 2 * seam - 1]), cb_side_mm=tuple(by_edge[:, 2 * seam]))
            for seam in range(1, len(pattern.panels))
        )
    )


def marks(pattern: Pattern, alteration: Alteration, least_mm: float = 0.5) -> list[SeamMark]:
    """What to mark on the paper, by seam and level from the top down; nothing under `least_mm`."""
    shape = pattern.shape
    found = []
    for change in alteration.seams:
        for i in reversed(range(len(pattern.stations))):
            both = change.cf_side_mm[i] + change.cb_side_mm[i]
            if abs(both) < least_mm:
                continue
            found.append(
                SeamMark(
                    seam=f"{change.seam}·{change.seam + 1}",
                    level=pattern.stations[i].name,
                    z_mm=float(shape.nominal[i]),
                    kind="let out" if both > 0 else "take in",
                    cf_side_mm=abs(change.cf_side_mm[i]),
                    cb_side_mm=abs(change.cb_side_mm[i]),
                )
            )
    return found


class LevelDifference(Record):
    """The sewn girth at a level in two versions, mm."""

    name: LevelName
    before_mm: float
    after_mm: float


class EdgeDifference(Record):
    """How a top line or hem moved at one place; up is positive, mm."""

    edge: Literal["top", "hem"]
    place: Literal["CF", "side", "CB"]
    moved_mm: float


class Comparison(Record):
    """What changed from one pattern to another: by level, by seam (if the cut is the same), at the edges."""

    same_cut: bool
    levels: tuple[LevelDifference, ...]
    seams: tuple[SeamMark, ...]
    edges: tuple[EdgeDifference, ...]


def compare(before: Pattern, after: Pattern) -> Comparison:
    """What changed between two patterns, from the top down. Levels that only one of them has are left out."""
    places: dict[str, Literal["CF", "side", "CB"]] = {"cf_mm": "CF", "side_mm": "side", "cb_mm": "CB"}
    edges: list[EdgeDifference] = []
    ends: tuple[Literal["top", "hem"], ...] = ("top", "hem")
    for edge in ends:
        old, new = getattr(before, edge), getattr(after, edge)
        edges += [
            EdgeDifference(edge=edge, place=place, moved_mm=getattr(new, field) - getattr(old, field))
            for field, place in places.items()
            if getattr(new, field) != getattr(old, field)
        ]
    girths = [
        {s.name: float(g) for s, g in zip(one.stations, one.shape.sewn_girth(one.shape.nominal), strict=True)}
        for one in (before, after)
    ]
    levels = [
        LevelDifference(name=station.name, before_mm=girths[0][station.name], after_mm=girths[1][station.name])
        for station in reversed(before.stations)
        if station.name in girths[1]
    ]
    same = same_cut(before, after)
    seams = tuple(marks(before, between(before, after))) if same else ()
    return Comparison(same_cut=same, levels=tuple(levels), seams=seams, edges=tuple(edges))


def between(before: Pattern, after: Pattern) -> Alteration:
    """The alteration that takes one pattern to another of the same cut. Raises ValueError for another cut."""
    if not same_cut(before, after):
        raise ValueError("patterns of another cut are not altered into each other")
    moved = np.array(after.shape.edges) - np.array(before.shape.edges)
    return Alteration(
        seams=tuple(
            SeamChange(seam=seam, cf_side_mm=tuple(moved[:, 2 * seam - 1]), cb_side_mm=tuple(-moved[:, 2 * seam]))
            for seam in range(1, len(before.panels))
        ),
        top=after.top if after.top != before.top else None,
        hem=after.hem if after.hem != before.hem else None,
    )
