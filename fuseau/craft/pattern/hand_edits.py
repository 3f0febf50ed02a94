"""Edits of a pattern by hand: widths, seams, top line and hem, panels, gussets, darts, halves (model, sections 4, 5).

Every edit is a record; `edit` makes a new pattern of it and says at `edit.<field>` what stands in the way. A seam is
moved by bumps on its edges, so that the opposite edit brings the pattern back exactly.
"""

from collections.abc import Callable
from typing import Annotated, Any, Literal

import numpy as np
from pydantic import Field

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Length
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.edge_curves import LineShape, curve_of, run_at, run_to_place, shaped
from fuseau.craft.pattern.pattern import (
    Allowance,
    Bump,
    Dart,
    EdgeLine,
    EdgePoint,
    End,
    Gusset,
    LeftHalf,
    Panel,
    Pattern,
    PlaceRound,
    seam_label,
)
from fuseau.craft.pattern.split_join import add_bump, cut_in_two, join, renumbered, with_other_panels
from fuseau.craft.wearer.measures import LevelName

Side = Literal["both", "right", "left"]
Move = Annotated[float, Length("an amount", -60, 60)]
At = Annotated[float, Length("a height on the pattern", -500, 500)]


class SetWidth(Record):
    """Make a panel so wide at a level; the girth changes with it."""

    kind: Literal["width"] = "width"
    panel: int
    level: LevelName
    width_mm: Annotated[float, Length("a panel's width", 5, 600)]
    side: Side = "both"


class MoveSeam(Record):
    """Take in (−) or let out (+) at a seam, so much on each panel edge; or shift the seam toward CB (+).

    The amount is that at `at_mm`; it fades over `reach_mm` up and down, or runs out at an edge of the garment.
    """

    kind: Literal["seam"] = "seam"
    seam: int
    at_mm: At
    amount_mm: Move
    how: Literal["girth", "shift"] = "girth"
    reach_up_mm: Annotated[float, Length("how far it reaches", 15, 400)] | None = 70
    reach_down_mm: Annotated[float, Length("how far it reaches", 15, 400)] | None = 70
    side: Side = "both"


class SeamShift(Record):
    """By how much a seam goes toward CB (+) at a level."""

    level: LevelName
    amount_mm: Annotated[float, Length("how far a seam is moved", -150, 150)]


class LaySeam(Record):
    """Lay a seam elsewhere: so much toward CB (+) at each of these levels; girths stay."""

    kind: Literal["lay_seam"] = "lay_seam"
    seam: int
    shifts: tuple[SeamShift, ...] = Field(min_length=1, max_length=10)
    side: Side = "both"


class TrimEdge(Record):
    """Cut so much off CB (or CF) on each half, all along it (+), or leave so much on (−); another amount at the hem.

    The edge stays straight: between top line and hem the amount runs evenly from one to the other.
    """

    kind: Literal["trim"] = "trim"
    edge: Literal["CB", "CF"] = "CB"
    amount_mm: Annotated[float, Length("what is trimmed off", -60, 150)]
    hem_mm: Annotated[float, Length("what is trimmed off", -60, 150)] | None = None
    side: Side = "both"


class MovePoint(Record):
    """Put a point of the top line or hem at a height: CF (0), side (1), CB (2), or any place between."""

    kind: Literal["point"] = "point"
    end: End
    place: PlaceRound
    z_mm: At
    to_place: PlaceRound | None = Field(default=None, description="Also move it round the body, to there.")
    corner: bool | None = None
    side: Side = "both"


class DropPoint(Record):
    """Take a point out of the top line or hem."""

    kind: Literal["drop_point"] = "drop_point"
    end: End
    place: PlaceRound
    side: Side = "both"


class ShapeLine(Record):
    """Give the top line or hem one of the usual shapes."""

    kind: Literal["line_shape"] = "line_shape"
    end: End
    shape: LineShape
    bust_place: PlaceRound = 0.5


class SplitPanel(Record):
    """Add a panel: cut one in two, `across` of the way to its edge toward CB. Girths and edges stay."""

    kind: Literal["split"] = "split"
    panel: int
    across: Annotated[float, Field(ge=0.2, le=0.8)] = 0.5


class DropSeam(Record):
    """Drop a panel: join the two at a seam into one. Girths and edges stay; the seam's shape goes to its neighbour."""

    kind: Literal["drop_seam"] = "drop_seam"
    seam: int


class AddGusset(Record):
    """Let a gusset into a seam from an edge, or into a panel that is slashed, `across` of the way to its CB edge.

    With `from_seams` the fullness comes from the seams beside it: they are taken in by as much, and the girth stays.
    """

    kind: Literal["gusset"] = "gusset"
    seam: int | None = None
    panel: int | None = None
    across: Annotated[float, Field(ge=0.1, le=0.9)] = 0.5
    from_seams: bool = False
    end: End
    width_mm: Annotated[float, Length("a gusset's width", 5, 200)]
    depth_mm: Annotated[float, Length("a gusset's depth", 20, 300)]


class AddDart(Record):
    """Stitch a dart into a panel."""

    kind: Literal["dart"] = "dart"
    panel: int
    across: Annotated[float, Field(ge=0.1, le=0.9)] = 0.5
    width_mm: Annotated[float, Length("a dart's width", 3, 80)]
    low_mm: At
    widest_mm: At
    high_mm: At


class DropInsert(Record):
    """Take out a gusset or dart, by its place in the list."""

    kind: Literal["drop_insert"] = "drop_insert"
    what: Literal["gusset", "dart"]
    index: int = Field(ge=0)


class JoinSeam(Record):
    """Cut the panels at a seam as one piece, with a dart for what lies between; or as two again."""

    kind: Literal["join"] = "join"
    seam: int
    joined: bool


class SetAllowance(Record):
    """The allowance of one seam; None takes that of all seams again."""

    kind: Literal["allowance"] = "allowance"
    seam: int
    allowance_mm: Allowance | None


class PartHalves(Record):
    """Let the left half differ from the right, or make both the same (as the right is) again."""

    kind: Literal["halves"] = "halves"
    differ: bool


HandEdit = Annotated[
    SetWidth
    | MoveSeam
    | LaySeam
    | TrimEdge
    | MovePoint
    | DropPoint
    | ShapeLine
    | SplitPanel
    | DropSeam
    | AddGusset
    | AddDart
    | DropInsert
    | JoinSeam
    | SetAllowance
    | PartHalves,
    Field(discriminator="kind"),
]
HAND_EDITS: tuple[type[Record], ...] = (
    SetWidth,
    MoveSeam,
    LaySeam,
    TrimEdge,
    MovePoint,
    DropPoint,
    ShapeLine,
    SplitPanel,
    DropSeam,
    AddGusset,
    AddDart,
    DropInsert,
    JoinSeam,
    SetAllowance,
    PartHalves,
)

_NEAR = 0.04  # places this near to each other are the same point


def edit(pattern: Pattern, change: HandEdit, practice: Practice) -> Pattern:
    """The pattern with an edit made. Raises Unmakeable, at `edit.<field>`, with the limit in its message."""
    made = _made(pattern if pattern.strain else pattern.fixed(), change)
    _check_widths(made, change, practice)
    return made


def _made(pattern: Pattern, change: HandEdit) -> Pattern:
    match change:
        case SetWidth():
            return _with_panels(pattern, change.side, lambda panels: _set_width(pattern, panels, change))
        case MoveSeam():
            _seam_of(pattern, change.seam)
            return _with_panels(pattern, change.side, lambda panels: _move_seam(panels, change))
        case LaySeam():
            _seam_of(pattern, change.seam)
            return _with_panels(pattern, change.side, lambda panels: _lay_seam(pattern, panels, change))
        case TrimEdge():
            return _with_panels(pattern, change.side, lambda panels: _trim(pattern, panels, change))
        case MovePoint():
            return _with_line(pattern, change.end, change.side, lambda line: _move_point(line, change))
        case DropPoint():
            return _with_line(pattern, change.end, change.side, lambda line: _drop_point(line, change))
        case ShapeLine():
            return _with_line(
                pattern, change.end, "both", lambda line: shaped(line, change.shape, change.end, change.bust_place)
            )
        case SplitPanel():
            return _split(pattern, change)
        case DropSeam():
            return _drop_seam(pattern, change)
        case AddGusset():
            return _add_gusset(pattern, change)
        case AddDart():
            return _add_dart(pattern, change)
        case DropInsert():
            return _drop_insert(pattern, change)
        case JoinSeam():
            _seam_of(pattern, change.seam)
            others = tuple(seam for seam in pattern.joined if seam != change.seam)
            joined = tuple(sorted((*others, change.seam))) if change.joined else others
            return pattern.model_copy(update={"joined": joined})
        case SetAllowance():
            return _set_allowance(pattern, change)
        case PartHalves():
            return pattern.model_copy(update={"left": _copied_half(pattern) if change.differ else None})


def place_name(place: float) -> str:
    """What lies at a place round the body: CF (0), the side (1), CB (2), or a point between."""
    for at, name in ((0.0, "CF"), (1.0, "the side"), (2.0, "CB")):
        if abs(place - at) <= _NEAR:
            return name
    return "a point in front" if place < 1 else "a point behind"


def _seam_of(pattern: Pattern, seam: int) -> None:
    if not 1 <= seam < len(pattern.panels):
        raise Unmakeable("edit.seam", "no_such_seam", last=seam_label(len(pattern.panels) - 1))


def _panel_of(pattern: Pattern, panel: int) -> None:
    if not 1 <= panel <= len(pattern.panels):
        raise Unmakeable("edit.panel", "no_such_panel", last=len(pattern.panels))


# --- halves ----------------------------------------------------------------------------------------------


def _with_panels(pattern: Pattern, side: Side, change: Callable[[tuple[Panel, ...]], tuple[Panel, ...]]) -> Pattern:
    """The pattern with the panels of one half or both changed."""
    return _on_side(pattern, side, "panels", change)


def _with_line(pattern: Pattern, end: End, side: Side, change: Callable[[EdgeLine], EdgeLine]) -> Pattern:
    """The pattern with the top line or hem of one half or both changed."""
    return _on_side(pattern, side, end, change)


def _on_side(pattern: Pattern, side: Side, field: str, change: Callable[[Any], Any]) -> Pattern:
    """A first edit of one half parts them."""
    if side != "both" and pattern.left is None:
        pattern = pattern.model_copy(update={"left": _copied_half(pattern)})
    update: dict[str, object] = {}
    if side in ("both", "right"):
        update[field] = change(getattr(pattern, field))
    if side in ("both", "left") and pattern.left is not None:
        update["left"] = pattern.left.model_copy(update={field: change(getattr(pattern.left, field))})
    return pattern.model_copy(update=update)


def _copied_half(pattern: Pattern) -> LeftHalf:
    return LeftHalf(panels=pattern.panels, top=pattern.top, hem=pattern.hem)


# --- widths and seams ------------------------------------------------------------------------------------


def _set_width(pattern: Pattern, panels: tuple[Panel, ...], change: SetWidth) -> tuple[Panel, ...]:
    _panel_of(pattern, change.panel)
    stations = pattern.stations_named()
    if change.level not in stations:
        raise Unmakeable("edit.level", "no_such_level", level=change.level)
    at, i = stations[change.level], change.panel - 1
    one = pattern.model_copy(update={"panels": panels, "left": None}).shape
    grow = change.width_mm - float(one.widths(one.nominal)[at, i])
    field = "cf_edge_mm" if change.panel == len(panels) else "cb_edge_mm"  # CB stays straight, and so does CF
    edge = list(getattr(panels[i], field))
    edge[at] += -grow if field == "cf_edge_mm" else grow
    return (*panels[:i], panels[i].model_copy(update={field: tuple(edge)}), *panels[i + 1 :])


def _move_seam(panels: tuple[Panel, ...], change: MoveSeam) -> tuple[Panel, ...]:
    def bump(amount: float) -> Bump:
        return Bump(
            low_mm=None if change.reach_down_mm is None else change.at_mm - change.reach_down_mm,
            peak_mm=change.at_mm,
            high_mm=None if change.reach_up_mm is None else change.at_mm + change.reach_up_mm,
            amount_mm=amount,
        )

    before, after = panels[change.seam - 1], panels[change.seam]
    sign = -1 if change.how == "girth" else 1
    before = before.model_copy(update={"cb_bumps": add_bump(before.cb_bumps, bump(change.amount_mm))})
    after = after.model_copy(update={"cf_bumps": add_bump(after.cf_bumps, bump(sign * change.amount_mm))})
    return (*panels[: change.seam - 1], before, after, *panels[change.seam + 1 :])


def _lay_seam(pattern: Pattern, panels: tuple[Panel, ...], change: LaySeam) -> tuple[Panel, ...]:
    stations = pattern.stations_named()
    before, after = panels[change.seam - 1], panels[change.seam]
    cb, cf = list(before.cb_edge_mm), list(after.cf_edge_mm)
    for i, shift in enumerate(change.shifts):
        if shift.level not in stations:
            raise Unmakeable(f"edit.shifts.{i}.level", "no_such_level", level=shift.level)
        cb[stations[shift.level]] += shift.amount_mm
        cf[stations[shift.level]] += shift.amount_mm
    before, after = (
        before.model_copy(update={"cb_edge_mm": tuple(cb)}),
        after.model_copy(update={"cf_edge_mm": tuple(cf)}),
    )
    return (*panels[: change.seam - 1], before, after, *panels[change.seam + 1 :])


# --- top line and hem ------------------------------------------------------------------------------------


def _trim(pattern: Pattern, panels: tuple[Panel, ...], change: TrimEdge) -> tuple[Panel, ...]:
    """The first or last panel with its outer edge moved in, straight from top line to hem."""
    behind = change.edge == "CB"
    field = "cb_mm" if behind else "cf_mm"
    top, hem = getattr(pattern.top, field), getattr(pattern.hem, field)
    z = np.array([station.back_mm if behind else station.front_mm for station in pattern.stations])
    at_hem = change.amount_mm if change.hem_mm is None else change.hem_mm
    off = at_hem + (change.amount_mm - at_hem) * (z - hem) / (top - hem)
    if behind:
        edge = tuple(float(x) for x in np.array(panels[-1].cb_edge_mm) - off)
        return (*panels[:-1], panels[-1].model_copy(update={"cb_edge_mm": edge}))
    edge = tuple(float(x) for x in np.array(panels[0].cf_edge_mm) + off)
    return (panels[0].model_copy(update={"cf_edge_mm": edge}), *panels[1:])


def _move_point(line: EdgeLine, change: MovePoint) -> EdgeLine:
    for at, field in ((0.0, "cf_mm"), (1.0, "side_mm"), (2.0, "cb_mm")):
        if abs(change.place - at) <= _NEAR:
            update: dict[str, object] = {field: change.z_mm}
            if change.corner is not None and at != 1.0:
                update["corner_at_cf" if at == 0 else "corner_at_cb"] = change.corner
            return line.model_copy(update=update)
    same = next((p for p in line.points if abs(p.place - change.place) <= _NEAR), None)
    others = [p for p in line.points if p is not same]
    place = change.to_place if change.to_place is not None else same.place if same else change.place
    if any(abs(p.place - place) <= _NEAR for p in others) or any(abs(place - at) <= _NEAR for at in (0, 1, 2)):
        raise Unmakeable("edit.place", "point_taken")
    corner = change.corner if change.corner is not None else bool(same and same.corner)
    points = sorted([*others, EdgePoint(place=place, z_mm=change.z_mm, corner=corner)], key=lambda p: p.place)
    return line.model_copy(update={"points": tuple(points)})


def _drop_point(line: EdgeLine, change: DropPoint) -> EdgeLine:
    kept = tuple(p for p in line.points if abs(p.place - change.place) > _NEAR)
    if len(kept) == len(line.points):
        raise Unmakeable("edit.place", "no_point_there")
    return line.model_copy(update={"points": kept})


# --- panels ----------------------------------------------------------------------------------------------


def _split(pattern: Pattern, change: SplitPanel) -> Pattern:
    _panel_of(pattern, change.panel)
    if len(pattern.panels) >= 9:
        raise Unmakeable("edit.panel", "most_panels")
    if any(dart.panel == change.panel for dart in pattern.darts):
        raise Unmakeable("edit.panel", "panel_has_dart", panel=change.panel)
    if any(gusset.panel == change.panel for gusset in pattern.gussets):
        raise Unmakeable("edit.panel", "panel_has_slash", panel=change.panel)
    i = change.panel - 1
    front = pattern.front_panels + (1 if change.panel <= pattern.front_panels else 0)
    seams = {seam: seam + (seam > i) for seam in range(1, len(pattern.panels))}
    return with_other_panels(
        pattern, lambda panels: renumbered(cut_in_two(list(panels), i, change.across)), front, seams
    )


def _drop_seam(pattern: Pattern, change: DropSeam) -> Pattern:
    _seam_of(pattern, change.seam)
    if len(pattern.panels) <= 2:
        raise Unmakeable("edit.seam", "fewest_panels")
    if change.seam == pattern.front_panels:
        raise Unmakeable("edit.seam", "side_seam_stays")
    if any(gusset.seam == change.seam for gusset in pattern.gussets):
        raise Unmakeable("edit.seam", "seam_has_gusset", seam=seam_label(change.seam))
    if any(dart.panel in (change.seam, change.seam + 1) for dart in pattern.darts):
        raise Unmakeable("edit.seam", "one_has_dart")
    if any(gusset.panel in (change.seam, change.seam + 1) for gusset in pattern.gussets):
        raise Unmakeable("edit.seam", "one_has_slash")
    i = change.seam - 1
    front = pattern.front_panels - (1 if change.seam < pattern.front_panels else 0)
    seams = {seam: seam - (seam > change.seam) for seam in range(1, len(pattern.panels)) if seam != change.seam}
    return with_other_panels(pattern, lambda panels: renumbered(join(list(panels), i)), front, seams)


# --- gussets, darts, allowances --------------------------------------------------------------------------


def _add_gusset(pattern: Pattern, change: AddGusset) -> Pattern:
    if (change.seam is None) == (change.panel is None):
        raise Unmakeable("edit.seam", "gusset_nowhere")
    if change.seam is not None:
        _seam_of(pattern, change.seam)
        if any(g.seam == change.seam and g.end == change.end for g in pattern.gussets):
            raise Unmakeable("edit.seam", "gusset_already", seam=seam_label(change.seam), end=change.end)
    elif change.panel is not None:
        _panel_of(pattern, change.panel)
        if any(g.panel == change.panel and g.end == change.end for g in pattern.gussets):
            raise Unmakeable("edit.panel", "slash_already", panel=change.panel, end=change.end)
    run = run_at(getattr(pattern, change.end), pattern.shape)
    at = float(run[change.seam or 0])
    if change.panel is not None:
        at = float(run[change.panel - 1] + change.across * (run[change.panel] - run[change.panel - 1]))
    edge = curve_of(getattr(pattern, change.end), run, pattern.front_panels).height(at)
    tip = edge - change.depth_mm if change.end == "top" else edge + change.depth_mm
    other = pattern.hem if change.end == "top" else pattern.top
    limit = max(other.heights()) if change.end == "top" else min(other.heights())
    if (change.end == "top" and tip < limit + 20) or (change.end == "hem" and tip > limit - 20):
        raise Unmakeable("edit.depth_mm", "gusset_too_deep", most_mm=abs(edge - limit))
    gusset = Gusset(
        seam=change.seam,
        panel=change.panel,
        across=change.across,
        end=change.end,
        width_mm=change.width_mm,
        depth_mm=change.depth_mm,
        tip_mm=round(tip, 3),
    )
    with_it = pattern.model_copy(update={"gussets": (*pattern.gussets, gusset)})
    return _fullness_moved(with_it, gusset, edge) if change.from_seams else with_it


def _fullness_moved(pattern: Pattern, gusset: Gusset, edge_mm: float) -> Pattern:
    """The seams beside a gusset taken in by what it lets in, from its point to the edge; CF and CB stay straight."""
    first = gusset.panel if gusset.panel is not None else gusset.seam or 1
    last = gusset.panel if gusset.panel is not None else first + 1
    sides = [one for one in ((first, "cf_bumps", 1), (last, "cb_bumps", -1)) if _movable(pattern, one[0], one[1])]
    top = gusset.end == "top"
    bump = Bump(
        low_mm=gusset.tip_mm if top else None,
        peak_mm=edge_mm,
        high_mm=None if top else gusset.tip_mm,
        amount_mm=gusset.width_mm / max(len(sides), 1),
        straight=True,
    )

    def taken_in(panels: tuple[Panel, ...]) -> tuple[Panel, ...]:
        found = list(panels)
        for number, field, sign in sides:
            panel = found[number - 1]
            bumps = add_bump(getattr(panel, field), bump.model_copy(update={"amount_mm": sign * bump.amount_mm}))
            found[number - 1] = panel.model_copy(update={field: bumps})
        return tuple(found)

    return _with_panels(pattern, "both", taken_in)


def _movable(pattern: Pattern, panel: int, field: str) -> bool:
    """Whether an edge of a panel is a seam, and not CF or CB."""
    return not (panel == 1 and field == "cf_bumps") and not (panel == len(pattern.panels) and field == "cb_bumps")


def _add_dart(pattern: Pattern, change: AddDart) -> Pattern:
    _panel_of(pattern, change.panel)
    try:
        dart = Dart(**{name: getattr(change, name) for name in Dart.model_fields})
    except ValueError as error:
        raise Unmakeable("edit.widest_mm", "dart_too_short") from error
    return pattern.model_copy(update={"darts": (*pattern.darts, dart)})


def _drop_insert(pattern: Pattern, change: DropInsert) -> Pattern:
    field = "gussets" if change.what == "gusset" else "darts"
    found = getattr(pattern, field)
    if change.index >= len(found):
        raise Unmakeable("edit.index", "no_such_insert", what=change.what)
    return pattern.model_copy(update={field: (*found[: change.index], *found[change.index + 1 :])})


def _set_allowance(pattern: Pattern, change: SetAllowance) -> Pattern:
    _seam_of(pattern, change.seam)
    by_seam = {name: mm for name, mm in pattern.allowances.by_seam.items() if name != seam_label(change.seam)}
    if change.allowance_mm is not None:
        by_seam[seam_label(change.seam)] = change.allowance_mm
    return pattern.model_copy(update={"allowances": pattern.allowances.model_copy(update={"by_seam": by_seam})})


# --- limits ----------------------------------------------------------------------------------------------


def _check_widths(pattern: Pattern, change: HandEdit, practice: Practice) -> None:
    """No panel narrower than practice allows, between hem and top line; said at what was edited."""
    least = practice.least_panel_width_mm
    field = {
        "width": "width_mm",
        "seam": "amount_mm",
        "lay_seam": "shifts",
        "dart": "width_mm",
        "split": "panel",
        "gusset": "width_mm",
    }.get(change.kind)
    field = "amount_mm" if isinstance(change, TrimEdge) else field
    if field is None:
        return
    for one in (pattern, pattern.left_pattern):
        if one is None:
            continue
        heights = np.linspace(min(one.hem.heights()), max(one.top.heights()), 60)
        widths = one.shape.widths(heights)
        if widths.min() < least - 1e-6:
            k, i = np.unravel_index(int(np.argmin(widths)), widths.shape)
            if isinstance(change, TrimEdge):
                most = change.amount_mm - (least - float(widths[k, i]))
                raise Unmakeable(
                    "edit.amount_mm", "trimmed_away", panel=int(i) + 1, most_mm=max(0.0, most), least_mm=least
                )
            raise Unmakeable(
                f"edit.{field}",
                "panel_too_narrow",
                panel=int(i) + 1,
                width_mm=float(widths[k, i]),
                z_mm=float(heights[k]),
                least_mm=least,
            )


def places_of_seams(pattern: Pattern, end: End) -> list[float]:
    """The places (0 CF, 1 side, 2 CB) of all seams along a top line or hem, CF and CB included."""
    run = run_at(getattr(pattern, end), pattern.shape)
    return [run_to_place(float(u), run, pattern.front_panels) for u in run]
