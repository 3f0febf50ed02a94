"""Alterations: take in and let out at seams, from one pattern version to the next (model, section 5)."""

from collections.abc import Container, Sequence
from typing import Annotated, Literal, TypedDict

import numpy as np
from pydantic import Field, model_validator

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.pattern import EdgeLine, Height, Panel, Pattern, seam_label
from fuseau.craft.pattern.places import At, Half, PlacedChange, Seen, reach, with_places
from fuseau.craft.wearer.measures import LevelName

BESIDE_MM = 15.0  # a level so little off the garment still moves its edge
MOST_MM = 80.0  # more at one edge is another pattern, not an alteration
SeamAmount = Annotated[float, Length("an alteration", -MOST_MM, MOST_MM)]


class SeamChange(Record):
    """What is done at one seam, by station from the lowest up, in mm; positive lets out, negative takes in.

    `cf_side_mm` is added to the panel before the seam, `cb_side_mm` to the panel after it.
    """

    seam: int = Field(ge=1, le=8, description="Seam k joins panels k and k + 1.")
    cf_side_mm: tuple[SeamAmount, ...]
    cb_side_mm: tuple[SeamAmount, ...]


class SeamMark(Record):
    """What to mark on the paper at one seam and level, mm per panel edge; at a place, from where to where it runs.

    Where it moves, one edge is let out (+) and the other taken in (−), by amounts with their signs.
    """

    seam: str
    level: LevelName | None
    z_mm: float
    kind: Literal["take in", "let out", "move"]
    cf_side_mm: float
    cb_side_mm: float
    low_mm: float | None = None
    high_mm: float | None = None
    half: Half = "both"


class LineEdit(Record):
    """The maker's own amounts at one seam, at a level or a place of a proposed change, mm per panel edge.

    Both 0 refuse it. A place has its peak, and its ends where it does not run out at hem or top line.
    """

    version: int = Field(ge=1, description="The version that the change was proposed for.")
    seam: int = Field(ge=1, le=8)
    level: LevelName | None = None
    half: Half = "both"
    low_mm: Height | None = None
    peak_mm: Height | None = None
    high_mm: Height | None = None
    cf_side_mm: SeamAmount
    cb_side_mm: SeamAmount

    @model_validator(mode="after")
    def _somewhere(self) -> "LineEdit":
        if (self.level is None) == (self.peak_mm is None):
            raise ValueError("a line is at a level, or at a place with its peak")
        return self

    @property
    def at(self) -> At | tuple[int, LevelName | None]:
        """What tells it from other lines."""
        return (self.seam, self.level) if self.peak_mm is None else (self.seam, self.half, self.peak_mm)

    @property
    def place(self) -> PlacedChange | None:
        """The change at a place that it is; None at a level."""
        if self.peak_mm is None:
            return None
        fields = ("seam", "half", "low_mm", "peak_mm", "high_mm", "cf_side_mm", "cb_side_mm")
        return PlacedChange(**{name: getattr(self, name) for name in fields})


class ProposedLine(Record):
    """One seam at a level or a place of a proposed change, as it will be made, and as it was worked out.

    mm at each panel edge, + lets out. A place runs from `low_mm` to `high_mm` about its peak, `z_mm`, and is `seen` at
    a fitting or set by hand; a level has neither.
    """

    seam: int
    label: str
    level: LevelName | None
    z_mm: float
    cf_side_mm: float
    cb_side_mm: float
    worked_out_cf_mm: float
    worked_out_cb_mm: float
    by_hand: bool
    half: Half = "both"
    low_mm: float | None = None
    high_mm: float | None = None
    runs_out: tuple[Literal["hem", "top"], ...] = ()
    seen: Seen | None = None
    fitting: int | None = None


class Alteration(Record):
    """Everything that changes between two versions with the same panels."""

    seams: tuple[SeamChange, ...] = ()
    places: tuple[PlacedChange, ...] = ()
    top: EdgeLine | None = None
    hem: EdgeLine | None = None


def alter(pattern: Pattern, alteration: Alteration) -> Pattern:
    """A new pattern with the alteration made, on both halves. Raises Unmakeable for a seam that it does not have."""
    for change in alteration.seams:
        if change.seam >= len(pattern.panels) or len(change.cf_side_mm) != len(pattern.stations):
            raise Unmakeable("versions", "pattern_lacks_seam", seam=seam_label(change.seam))
    for place in alteration.places:
        if place.seam >= len(pattern.panels):
            raise Unmakeable("versions", "pattern_lacks_seam", seam=seam_label(place.seam))
    pattern = with_places(pattern, alteration.places)
    left = pattern.left
    if left is not None:
        moved = {"top": alteration.top, "hem": alteration.hem}
        kept = {end: line for end, line in moved.items() if line and getattr(left, end) == getattr(pattern, end)}
        left = left.model_copy(update={"panels": _moved(left.panels, alteration), **kept})
    return pattern.altered(
        panels=_moved(pattern.panels, alteration),
        left=left,
        top=alteration.top or pattern.top,
        hem=alteration.hem or pattern.hem,
    )


def edited(pattern: Pattern, alteration: Alteration, edits: Sequence[LineEdit]) -> Alteration:
    """An alteration with the maker's amounts put in where she has her own. Edits of seams it lacks are left out."""
    stations = pattern.stations_named()
    changed = {change.seam: change for change in alteration.seams}
    places = {place.at: place for place in alteration.places}
    for edit in edits:
        if edit.place is not None:
            if edit.seam < len(pattern.panels):
                given = {"cf_side_mm": edit.cf_side_mm, "cb_side_mm": edit.cb_side_mm}
                places[edit.place.at] = places.get(edit.place.at, edit.place).model_copy(update=given)
            continue
        if edit.level is None:
            continue
        change, i = changed.get(edit.seam), stations.get(edit.level)
        if change is None or i is None:
            continue
        cf, cb = list(change.cf_side_mm), list(change.cb_side_mm)
        cf[i], cb[i] = edit.cf_side_mm, edit.cb_side_mm
        changed[edit.seam] = change.model_copy(update={"cf_side_mm": tuple(cf), "cb_side_mm": tuple(cb)})
    made = tuple(place for place in places.values() if place.cf_side_mm or place.cb_side_mm)
    return alteration.model_copy(update={"seams": tuple(changed.values()), "places": made})


def listed_stations(pattern: Pattern) -> list[int]:
    """The levels at which changes are told, from the lowest up: those on the garment, and the next beyond each end.

    The cloth runs toward a level beyond its edge, so what is changed there changes it.
    """
    low, high = reach(pattern)
    low, high = low - BESIDE_MM, high + BESIDE_MM
    nominal = pattern.shape.nominal
    named = sorted(pattern.stations_named().values())
    on = [k for k, i in enumerate(named) if low <= nominal[i] <= high]
    if not on:
        return named
    return named[max(on[0] - 1, 0) : on[-1] + 2]


def together(*parts: Sequence[SeamChange]) -> tuple[SeamChange, ...]:
    """Changes of seams added up, seam by seam."""
    found: dict[int, SeamChange] = {}
    for one in (one for part in parts for one in part):
        was = found.get(one.seam)
        if was is not None:
            sides = (np.array(getattr(was, name)) + getattr(one, name) for name in ("cf_side_mm", "cb_side_mm"))
            one = seam_change(one.seam, *sides)
        found[one.seam] = one
    return tuple(found.values())


def follow_listed(pattern: Pattern, alteration: Alteration) -> Alteration:
    """An alteration whose amounts at levels that are not told follow those that are.

    A station without a name runs between its neighbours; one further out than what shapes the cloth has the last's.
    """
    listed = listed_stations(pattern)
    if not listed or len(listed) == len(pattern.stations):
        return alteration
    nominal = pattern.shape.nominal

    def followed(sides: tuple[float, ...]) -> np.ndarray:
        return np.asarray(np.interp(nominal, nominal[listed], np.array(sides)[listed]))

    seams = tuple(
        seam_change(seam.seam, followed(seam.cf_side_mm), followed(seam.cb_side_mm)) for seam in alteration.seams
    )
    return alteration.model_copy(update={"seams": seams})


def _drawn_at(pattern: Pattern, z_mm: float) -> float:
    """Where a level's change is drawn: at its height, or on the edge that it lies beyond."""
    return min(max(z_mm, min(pattern.hem.heights())), max(pattern.top.heights()))


def lines(
    pattern: Pattern, worked_out: Alteration, made: Alteration, edits: Sequence[LineEdit], least_mm: float = 0.05
) -> list[ProposedLine]:
    """A change line by line, by seam and from the top down: all that is made, but for what is under `least_mm`.

    What is changed at places comes first.
    """
    nominal, by_hand = pattern.shape.nominal, {edit.at for edit in edits}
    found = _place_lines(pattern, worked_out, made, by_hand)
    for was, now in zip(worked_out.seams, made.seams, strict=True):
        for i in reversed(listed_stations(pattern)):
            name = pattern.stations[i].name
            amounts = (was.cf_side_mm[i], was.cb_side_mm[i], now.cf_side_mm[i], now.cb_side_mm[i])
            if name is None:
                continue
            if max(map(abs, amounts)) < least_mm and (was.seam, name) not in by_hand:
                continue
            found.append(
                ProposedLine(
                    seam=was.seam,
                    label=seam_label(was.seam),
                    level=name,
                    z_mm=_drawn_at(pattern, float(nominal[i])),
                    worked_out_cf_mm=amounts[0],
                    worked_out_cb_mm=amounts[1],
                    cf_side_mm=amounts[2],
                    cb_side_mm=amounts[3],
                    by_hand=(was.seam, name) in by_hand,
                )
            )
    return found


def _place_lines(
    pattern: Pattern, worked_out: Alteration, made: Alteration, by_hand: Container[object]
) -> list[ProposedLine]:
    was, now = ({place.at: place for place in change.places} for change in (worked_out, made))
    found = []
    for at, one in sorted({**now, **was}.items(), key=lambda item: (item[0][0], -item[0][2], item[0][1])):
        old, new = was.get(at), now.get(at)
        low, high = one.ends(pattern)
        outs: tuple[Literal["hem", "top"], ...] = (
            *(("hem",) if one.low_mm is None else ()),
            *(("top",) if one.high_mm is None else ()),
        )
        found.append(
            ProposedLine(
                seam=one.seam,
                label=seam_label(one.seam),
                level=None,
                z_mm=_drawn_at(pattern, one.peak_mm),
                cf_side_mm=new.cf_side_mm if new else 0.0,
                cb_side_mm=new.cb_side_mm if new else 0.0,
                worked_out_cf_mm=old.cf_side_mm if old else 0.0,
                worked_out_cb_mm=old.cb_side_mm if old else 0.0,
                by_hand=at in by_hand,
                half=one.half,
                low_mm=low,
                high_mm=high,
                runs_out=outs,
                seen=one.seen,
                fitting=one.fitting,
            )
        )
    return found


def _moved(panels: tuple[Panel, ...], alteration: Alteration) -> tuple[Panel, ...]:
    cf_edges = [np.array(panel.cf_edge_mm) for panel in panels]
    cb_edges = [np.array(panel.cb_edge_mm) for panel in panels]
    for change in alteration.seams:
        cb_edges[change.seam - 1] = cb_edges[change.seam - 1] + np.array(change.cf_side_mm)
        cf_edges[change.seam] = cf_edges[change.seam] - np.array(change.cb_side_mm)
    return tuple(
        panel.model_copy(update={"cf_edge_mm": tuple(map(float, cf)), "cb_edge_mm": tuple(map(float, cb))})
        for panel, cf, cb in zip(panels, cf_edges, cb_edges, strict=True)
    )


def same_cut(pattern: Pattern, other: Pattern) -> bool:
    """Whether two patterns have the same panels and stations, so that one can be altered into the other."""
    return (
        len(pattern.panels) == len(other.panels)
        and (pattern.left is None) == (other.left is None)
        and pattern.front_panels == other.front_panels
        and [station.name for station in pattern.stations] == [station.name for station in other.stations]
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
            seam_change(seam, by_edge[:, 2 * seam - 1], by_edge[:, 2 * seam]) for seam in range(1, len(pattern.panels))
        )
    )


def seam_change(seam: int, cf_side_mm: np.ndarray, cb_side_mm: np.ndarray) -> SeamChange:
    """What is done at a seam, by station, mm. Raises Unmakeable where it is more than an alteration can be."""
    most = float(np.abs([cf_side_mm, cb_side_mm]).max())
    if not most <= MOST_MM:
        raise Unmakeable("versions", "change_too_large", seam=seam_label(seam), change_mm=most, most_mm=MOST_MM)
    return SeamChange(seam=seam, cf_side_mm=tuple(cf_side_mm), cb_side_mm=tuple(cb_side_mm))


def marks(pattern: Pattern, alteration: Alteration, least_mm: float = 0.05) -> list[SeamMark]:
    """What to mark on the paper, by seam and level from the top down: all that is made, but under `least_mm`."""
    nominal = pattern.shape.nominal
    found = [
        SeamMark(
            seam=seam_label(place.seam),
            level=None,
            z_mm=_drawn_at(pattern, place.peak_mm),
            **_told(place.cf_side_mm, place.cb_side_mm),
            low_mm=place.ends(pattern)[0],
            high_mm=place.ends(pattern)[1],
            half=place.half,
        )
        for place in alteration.places
    ]
    for change in alteration.seams:
        for i in reversed(listed_stations(pattern)):
            cf_side, cb_side, name = change.cf_side_mm[i], change.cb_side_mm[i], pattern.stations[i].name
            if max(abs(cf_side), abs(cb_side)) < least_mm or name is None:
                continue
            found.append(
                SeamMark(
                    seam=seam_label(change.seam),
                    level=name,
                    z_mm=_drawn_at(pattern, float(nominal[i])),
                    **_told(cf_side, cb_side),
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
    others: tuple[Message, ...] = Field(default=(), description="Gussets, darts and allowances that came or went.")


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
    girths = []
    for one in (before, after):
        sewn = one.shape.sewn_girth(one.shape.nominal)
        girths.append({name: float(sewn[i]) for name, i in one.stations_named().items()})
    levels = [
        LevelDifference(name=name, before_mm=girth, after_mm=girths[1][name])
        for name, girth in reversed(girths[0].items())
        if name in girths[1]
    ]
    same = same_cut(before, after)
    seams = tuple(_seam_marks(before, after)) if same else ()
    return Comparison(
        same_cut=same, levels=tuple(levels), seams=seams, edges=tuple(edges), others=tuple(_others(before, after))
    )


def _seam_marks(before: Pattern, after: Pattern, least_mm: float = 0.5) -> list[SeamMark]:
    """What moved at every seam, at the body's levels and where a bump peaks between them, from the top down."""
    levels: dict[float, LevelName | None] = {before.stations[i].side_mm: n for n, i in before.stations_named().items()}
    peaks = {
        bump.peak_mm
        for one in (before, after)
        for panel in one.panels
        for bump in (*panel.cf_bumps, *panel.cb_bumps)
        if all(abs(bump.peak_mm - z) > 12 for z in levels)
    }
    heights = np.array(sorted({*levels, *peaks}, reverse=True))
    moved = after.shape.across(heights) - before.shape.across(heights)
    found = []
    for seam in range(1, len(before.panels)):
        for k, z in enumerate(heights):
            cf_side, cb_side = float(moved[k, 2 * seam - 1]), -float(moved[k, 2 * seam])
            if abs(cf_side) + abs(cb_side) >= least_mm:
                found.append(
                    SeamMark(
                        seam=seam_label(seam),
                        level=levels.get(float(z)),
                        z_mm=float(z),
                        **_told(cf_side, cb_side),
                    )
                )
    return found


class _Told(TypedDict):
    kind: Literal["take in", "let out", "move"]
    cf_side_mm: float
    cb_side_mm: float


def _told(cf_side_mm: float, cb_side_mm: float) -> _Told:
    """What is done at a seam, and its amounts: bare where both edges go alike, with their signs where it moves."""
    both = cf_side_mm + cb_side_mm
    if min(cf_side_mm, cb_side_mm) < -0.05 and max(cf_side_mm, cb_side_mm) > 0.05:
        return {"kind": "move", "cf_side_mm": cf_side_mm, "cb_side_mm": cb_side_mm}
    return {
        "kind": "let out" if both > 0 else "take in",
        "cf_side_mm": abs(cf_side_mm),
        "cb_side_mm": abs(cb_side_mm),
    }


def _others(before: Pattern, after: Pattern) -> list[Message]:
    """Gussets, darts and allowances that came or went."""
    old, new = _inserts(before), _inserts(after)
    came = [message(f"{one.code}.new", **one.given) for one in new if one not in old]
    return [*came, *(message(f"{one.code}.gone", **one.given) for one in old if one not in new)]


def _inserts(pattern: Pattern) -> list[Message]:
    return [
        *(
            message(
                "insert.slash" if g.seam is None else "insert.gusset",
                **{"panel": g.panel or 0} if g.seam is None else {"seam": seam_label(g.seam)},
                end=g.end,
                width_mm=g.width_mm,
                depth_mm=g.depth_mm,
            )
            for g in pattern.gussets
        ),
        *(message("insert.dart", panel=d.panel, width_mm=d.width_mm) for d in pattern.darts),
        *(message("insert.joined", seam=seam_label(seam)) for seam in pattern.joined),
        *([message("insert.left_half")] if pattern.left else []),
        *(message("insert.allowance", seam=seam, width_mm=mm) for seam, mm in pattern.allowances.by_seam.items()),
    ]


def between(before: Pattern, after: Pattern) -> Alteration:
    """The alteration that takes one pattern to another of the same cut. Raises ValueError for another cut."""
    if not same_cut(before, after):
        raise ValueError("patterns of another cut are not altered into each other")
    moved = np.array(after.shape.edges) - np.array(before.shape.edges)
    return Alteration(
        seams=tuple(
            seam_change(seam, moved[:, 2 * seam - 1], -moved[:, 2 * seam]) for seam in range(1, len(before.panels))
        ),
        top=after.top if after.top != before.top else None,
        hem=after.hem if after.hem != before.hem else None,
    )
