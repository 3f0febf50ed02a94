"""Lines marked on a picture as lines of the garment, and the garment's lines back on it (model, section 17)."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

import numpy as np
from pydantic import ValidationError

from fuseau.craft.base.curves import Array
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Change, Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.cups import usual_bust_points
from fuseau.craft.pattern.hand_edits import LaySeam, edit
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.pattern.trueing import lay_flat
from fuseau.craft.wearer.silhouette import seen_width
from fuseau.craft.worn.figure import Figure
from fuseau.craft.worn.pose import Pose
from fuseau.craft.worn.sight import facing, runs_of
from fuseau.craft.worn.surface import HalfWorn
from fuseau.document.build import Build, Mark, MarkKind, Picture
from fuseau.planning.pictures.across import across_of
from fuseau.planning.pictures.pose import pose_on
from fuseau.planning.plan import Plan
from fuseau.planning.worn.on_body import OnBody, OnBodyInputs, on_body

_POINTS = 24
_NEAR_CF, _NEAR_SIDE = 0.08, 0.85  # places round her: nearer is meant to be there
_ON_SEAM = 0.12
_MOST_PANELS = 9
_LAP_MM = 10.0
_LEAST_MM, _MOST_MM = 10.0, 400.0
_SAME_MM = 3.0
_BUST_POINT_MM = 15.0
_DRAWN: tuple[str, ...] = ("top", "hem", "CB", "CF", "seam")


class MarkRead(Record):
    """A line of a picture as one of the garment: what it says, what makes it so, or why it can't be.

    What makes it so are changes of what she chose, or edits of the pattern. `number` counts the marks of its kind from
    1; 0 is of all seams. `so` tells that the garment has it already.
    """

    kind: MarkKind
    number: int
    says: Message | None = None
    warns: Message | None = None
    changes: tuple[Change, ...] = ()
    edits: tuple[LaySeam, ...] = ()
    fault: Message | None = None
    so: bool = False


class LineBack(Record):
    """A line of the garment as it would be seen on the picture; points are shares of its width and of its height."""

    what: str
    points: tuple[tuple[float, float], ...]


class PictureLines(Record):
    """The lines of one picture, both ways; `fault` where it can't be told how she stands on it."""

    picture: str
    marks: tuple[MarkRead, ...] = ()
    back: tuple[LineBack, ...] = ()
    outline: tuple[LineBack, ...] = ()
    fault: Message | None = None


def picture_lines(build: Build, planned: Plan, inputs: OnBodyInputs, picture: Picture) -> PictureLines | None:
    """The lines marked on a picture; None where none is marked at all."""
    marks = [mark for mark in picture.marks if mark.kind in ("top line", "hem", "closure", "seam")]
    if not marks and not across_of(picture):
        return None
    figure = inputs.figure
    try:
        pose = pose_on(picture, figure)
    except Unmakeable as error:
        return PictureLines(picture=picture.id, fault=error.message)
    read: list[MarkRead] = []
    counts: dict[str, int] = {}
    seams: list[_SeamMarked] = []
    for mark in marks:
        number = counts[mark.kind] = counts.get(mark.kind, 0) + 1
        found = MarkRead(kind=mark.kind, number=number)
        try:
            nominal, place = pose.on_her(figure, points_of(mark, picture))
            if mark.kind in ("top line", "hem"):
                found = _edge(build, planned, figure, found, nominal, place)
            elif mark.kind == "closure":
                found = _closure(build, planned, found, place)
            else:
                seams.append(_SeamMarked(len(read), nominal, place))
                found = _seam(build, figure, found, nominal, place)
        except Unmakeable as error:
            found = found.model_copy(update={"fault": error.message})
        read.append(found)
    for one, moved in _laid(build, inputs, seams):
        if read[one].fault is None:
            read[one] = read[one].model_copy(update=moved)
    read += _panels(planned, [float(np.median(seam.place)) for seam in seams])
    back = _back(on_body(inputs), pose, picture) if inputs.worn is not None else ()
    return PictureLines(
        picture=picture.id,
        marks=tuple(read),
        back=tuple(back),
        outline=tuple(_outline(figure, pose, picture)),
    )


def points_of(mark: Mark, picture: Picture) -> Array:
    """A mark as even points, both as shares of the picture's width, (m, 2)."""
    line = np.array(mark.points, float) * np.array([1.0, picture.height_px / picture.width_px])
    run = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(line, axis=0).T))])
    at = np.linspace(0, run[-1], _POINTS)
    return np.column_stack([np.interp(at, run, line[:, 0]), np.interp(at, run, line[:, 1])])


def _edge(build: Build, planned: Plan, figure: Figure, found: MarkRead, nominal: Array, place: Array) -> MarkRead:
    """A top line or hem: its heights at CF, at the side and at CB, as far as they are seen."""
    top = found.kind == "top line"
    z = figure.along(nominal, np.abs(place))
    order = np.argsort(np.abs(place))
    around, heights = np.abs(place)[order], z[order]
    reached = float(around[-1])
    at = {"cf_mm": float(np.interp(0.0, around, heights))} if around[0] < 0.25 else {}
    if reached > _NEAR_SIDE:
        at["side_mm"] = float(np.interp(1.0, around, heights))
    if reached > 1.9:
        at["cb_mm"] = float(np.interp(2.0, around, heights))
    if not at:
        raise Unmakeable("mark", "lines.edge_unseen")
    sign = 1.0 if top else -1.0
    if any(sign * mm < _LEAST_MM for mm in at.values()):
        raise Unmakeable("mark", "lines.top_below" if top else "lines.hem_above")
    lap = build.wearer.waist_to_lap_sitting_mm
    if not top and lap is not None and -at.get("cf_mm", 0.0) > lap - _LAP_MM:
        raise Unmakeable("mark", "lines.hem_on_lap", hem_mm=-at["cf_mm"], lap_mm=lap)
    line = (planned.pattern.top if top else planned.pattern.hem) if planned.pattern else None
    part = "top" if top else "hem"
    changes = tuple(
        Change(at=f"draft.{part}.{field}", value=round(min(_MOST_MM, sign * mm)))
        for field, mm in at.items()
        if line is None or abs(getattr(line, field) - mm) > _SAME_MM
    )
    given = {field: sign * mm for field, mm in at.items()}
    code = {
        ("cf_mm", "side_mm"): "lines.edge",
        ("side_mm", "cb_mm"): "lines.edge_back",
        ("cf_mm",): "lines.edge_cf",
        ("side_mm",): "lines.edge_side",
    }.get(tuple(at), "lines.edge_all")
    return found.model_copy(update={"says": message(code, **given), "changes": changes, "so": not changes})


def _closure(build: Build, planned: Plan, found: MarkRead, place: Array) -> MarkRead:
    """Where it opens: at CF, at the side, or along the seam that lies there."""
    at = float(np.mean(place))
    line: str | None
    if abs(at) < _NEAR_CF:
        line = "CF"
    elif _NEAR_SIDE < abs(at) < 2 - _NEAR_SIDE:
        line = "side"
    elif abs(at) >= 2 - _NEAR_CF:
        line = "CB"
    else:
        line = _seam_near(planned, abs(at))
        if line is None:
            raise Unmakeable("mark", "lines.between_seams")
    half = "right" if at > 0 else "left"
    changes = [] if build.front.line == line else [Change(at="front.line", value=line)]
    if line not in ("CF", "CB") and build.front.half not in (half, "both"):
        changes.append(Change(at="front.half", value=half))
    says = message("lines.opens_half" if line not in ("CF", "CB") else "lines.opens", line=line, half=half)
    return found.model_copy(update={"says": says, "changes": tuple(changes), "so": not changes})


def _seam_near(planned: Plan, place: float) -> str | None:
    if planned.pattern is None:
        return None
    panels, front = planned.pattern.panels, planned.pattern.front_panels
    widths = np.cumsum([panel.waist[1][0] - panel.waist[0][0] for panel in panels])
    side = widths[front - 1]
    places = np.where(widths <= side, widths / side, 1 + (widths - side) / max(widths[-1] - side, 1e-9))
    i = int(np.argmin(np.abs(places[:-1] - place)))
    return seam_label(i + 1) if abs(places[i] - place) < _ON_SEAM else None


def _seam(build: Build, figure: Figure, found: MarkRead, nominal: Array, place: Array) -> MarkRead:
    """A seam: how far from CF it lies at the waist, and whether it runs through the bust point."""
    order = np.argsort(nominal)
    at_waist = float(np.interp(0.0, nominal[order], np.abs(place)[order]))
    ring = figure.over.at(np.zeros(1))
    front = float(ring.runs[0][0])
    says = message("lines.seam", from_cf_mm=min(at_waist, 1.0) * front)
    warns = None
    if "bust" in figure.body:
        bust = figure.body["bust"]
        if nominal.min() <= bust.side_mm <= nominal.max():
            here = figure.over.at(np.array([bust.side_mm]))
            spot = np.array([float(np.interp(bust.side_mm, nominal[order], np.abs(place)[order]))])
            across = float(here.point(spot)[0][0])
            point = (build.wearer.bust_points_mm or usual_bust_points(figure.body)) / 2
            if abs(across - point) < _BUST_POINT_MM:
                if build.draft.cups:
                    raise Unmakeable("mark", "lines.through_cup")
                warns = message("lines.bust_point")
    return found.model_copy(update={"says": says, "warns": warns})


@dataclass(frozen=True, eq=False)
class _SeamMarked:
    """Which of the marks it is, and the nominal heights and places round her of its points."""

    at: int
    nominal: Array
    place: Array


def _laid(build: Build, inputs: OnBodyInputs, seams: Sequence[_SeamMarked]) -> Iterator[tuple[int, dict[str, object]]]:
    """The garment's seams laid where as many are marked between CF and side: one edit each, or why it can't be.

    A place round her is a length from CF on the ring as worn, x; on the flat half it is moved by (x − the seam's own)
    over what of the girth the half is stretched to. Past what is marked of it a seam goes on beside its old way.
    """
    worn, planned = inputs.worn, inputs.planned
    if worn is None or planned is None:
        return
    between = [seam for seam in seams if _NEAR_CF < abs(np.median(seam.place)) < _NEAR_SIDE]
    right = [channel for channel in between if np.median(channel.place) > 0]
    shown = right if 2 * len(right) >= len(between) else [channel for channel in between if channel not in right]
    shown.sort(key=lambda one: float(np.abs(np.median(one.place))))
    pattern = worn.pattern
    if len(shown) != pattern.front_panels - 1:
        return
    half = HalfWorn(inputs.figure, pattern)
    stations = [(station.name, station.side_mm) for station in pattern.stations if station.name is not None]
    for seam, one in enumerate(shown, start=1):
        order = np.argsort(one.nominal)
        at, place = one.nominal[order], np.abs(one.place)[order]
        runs = half.seam_runs(at)
        worn_mm = inputs.figure.over.at(at).run(place) - runs[:, seam]
        flat_mm = worn_mm * pattern.shape.widths(at).sum(axis=1) / runs[:, -1]
        if np.abs(flat_mm).max() <= _SAME_MM:
            yield one.at, {"so": True}
            continue
        shifts = np.interp([side for _, side in stations], at, flat_mm)
        try:
            moves = LaySeam.model_validate(
                {
                    "seam": seam,
                    "shifts": [
                        {"level": name, "amount_mm": round(float(mm), 1)}
                        for (name, _), mm in zip(stations, shifts, strict=True)
                    ],
                }
            )
            lay_flat(edit(pattern, moves, build.practice), build.practice)
        except Unmakeable as error:
            yield one.at, {"fault": error.message}
        except ValidationError:
            yield one.at, {"fault": message("lines.seam_far")}
        else:
            yield one.at, {"edits": (moves,)}


def _panels(planned: Plan, places: Sequence[float]) -> Iterator[MarkRead]:
    """How many panels show in front, from the seams that lie between CF and side on the fuller half."""
    between = [place for place in places if _NEAR_CF < abs(place) < _NEAR_SIDE]
    seams = max(sum(place > 0 for place in between), sum(place < 0 for place in between))
    if not seams or planned.pattern is None:
        return
    front, now = seams + 1, planned.pattern.front_panels
    changes = () if now == front or 2 * front > _MOST_PANELS else (Change(at="draft.panels", value=2 * front),)
    says = message("lines.panels", seams=float(seams), front=float(front), now=float(now))
    yield MarkRead(kind="seam", number=0, says=says, changes=changes, so=now == front)


def _back(seen: OnBody, pose: Pose, picture: Picture) -> Iterator[LineBack]:
    """The garment's own lines where they face the eye."""
    for line in seen.lines:
        if line.what in _DRAWN:
            points = np.array(line.points)
            there = pose.on_picture(points)
            for a, b in runs_of(facing(points, pose.turn_deg)):
                if b - a > 1:
                    yield LineBack(what=line.what, points=_shares(there[a:b], picture))


def _outline(figure: Figure, pose: Pose, picture: Picture) -> Iterator[LineBack]:
    """Her outline as she is worn, left and right, at the picture's scale and turn."""
    heights = figure.heights
    rings = figure.over
    wide = seen_width(rings.half_mm, 2 * rings.half_mm / (rings.front_mm + rings.back_mm), pose.turn_deg) / 2
    up = figure.up(heights, np.ones(len(heights)))
    for sign in (-1.0, 1.0):
        points = np.column_stack([pose.axis + sign * wide / pose.mm, pose.waist - up / pose.mm])
        yield LineBack(what="outline", points=_shares(points, picture))


def _shares(points: Array, picture: Picture) -> tuple[tuple[float, float], ...]:
    found = points * np.array([1.0, picture.width_px / picture.height_px])
    return tuple((x, y) for x, y in np.round(found, 4).tolist())
