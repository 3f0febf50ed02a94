"""Patterns from outlines: panels traced on a drawing, named and turned the right way, become a Pattern (model, 4).

A piece is a closed outline in mm, y up, as it was drawn. Which panel it is, where its waistline lies and whether it
has to be mirrored or turned is the maker's word; corners are found, edges read off at close stations.
"""

import math
from typing import Annotated, Literal

import numpy as np
from pydantic import Field
from shapely.geometry import LineString, Polygon

from fuseau.craft.base.curves import Array, lengths_along
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.edge_curves import run_to_place
from fuseau.craft.pattern.pattern import Allowances, EdgeLine, EdgePoint, Panel, Pattern, Station, seam_label
from fuseau.craft.wearer.body import Body

_STATION_MM = 12.0  # between two heights at which a traced edge is read off
_ON_EDGE = tuple(k / 10 for k in range(1, 10))  # places across a panel at which its top and hem are read off
_SHARP = math.radians(22)
_GOES_ON_MM = 40.0
_MARGIN_MM = 26.0
_SEAM_OFF_MM = 10.0
_SAME_SHARE = 0.02
Spot = Annotated[float, Field(ge=-20000, le=20000, allow_inf_nan=False)]


class TracedPiece(Record):
    """A closed outline as drawn (mm, y up), the panel it is, its waistline, and how it is turned."""

    points: tuple[tuple[Spot, Spot], ...] = Field(min_length=4, max_length=4000)
    number: int = Field(ge=1, le=9)
    waist_mm: Spot | None = None
    mirrored: bool = False
    upside_down: bool = False
    corners: tuple[tuple[Spot, Spot], ...] | None = Field(
        default=None,
        min_length=4,
        max_length=4,
        description="Where its edges meet, as drawn: hem at CF, top at CF, top at CB, hem at CB. None finds them.",
    )


class TracedPattern(Record):
    """Every piece of a half as named, and how many of them lie in front of the side seam."""

    pieces: tuple[TracedPiece, ...] = Field(min_length=2, max_length=9)
    front_panels: int = Field(ge=1, le=8)


class Misfit(Record):
    """What is odd about a piece or a seam, and how panel `panel` would have to be turned to fit, if that mends it."""

    panel: int
    sentence: Message
    turn: Literal["mirrored", "upside down", "turned round"] | None = None
    stops: bool = False


class _Sides(Record):
    """A piece turned right with its waist at 0: edges from hem to top, top and hem from CF to CB, as point lists."""

    cf_edge: tuple[tuple[float, float], ...]
    cb_edge: tuple[tuple[float, float], ...]
    top: tuple[tuple[float, float], ...]
    hem: tuple[tuple[float, float], ...]


def check_pieces(traced: TracedPattern) -> list[Misfit]:
    """What is wrong with traced pieces: crossing, twice the same, no waistline, seams that do not meet."""
    misfits: list[Misfit] = []
    pieces = sorted(traced.pieces, key=lambda piece: piece.number)
    numbers = [piece.number for piece in pieces]
    if numbers != list(range(1, len(pieces) + 1)):
        missing = next(n for n in range(1, 10) if n not in numbers or numbers.count(n) > 1)
        code = "traced.named_twice" if numbers.count(missing) > 1 else "traced.missing"
        return [Misfit(panel=missing, sentence=message(code, panel=missing, count=len(pieces)), stops=True)]
    for piece in pieces:
        if not Polygon(piece.points).is_valid or Polygon(piece.points).area < 400:
            misfits.append(
                Misfit(panel=piece.number, sentence=message("traced.crosses_itself", panel=piece.number), stops=True)
            )
        elif piece.waist_mm is None or not _spans(piece, piece.waist_mm):
            said = message("traced.no_waistline", panel=piece.number)
            misfits.append(Misfit(panel=piece.number, sentence=said, stops=True))
    if misfits:
        return misfits
    sides = [_sides(piece) for piece in pieces]
    misfits += _twice(pieces)
    for i in range(len(pieces) - 1):
        misfits += _seam_misfit(pieces[i + 1], sides[i], sides[i + 1])
    return misfits


def _spans(piece: TracedPiece, z: float) -> bool:
    heights = [point[1] for point in piece.points]
    return min(heights) + 5 < z < max(heights) - 5


def _twice(pieces: list[TracedPiece]) -> list[Misfit]:
    """Pieces that are the same shape, however they lie on the drawing."""
    misfits = []
    shapes = []
    for piece in pieces:
        points = np.array(piece.points)
        shapes.append(Polygon(points - points.mean(axis=0)))
    for i, shape in enumerate(shapes):
        for j in range(i + 1, len(shapes)):
            apart = shape.symmetric_difference(shapes[j]).area / shape.area
            if apart < _SAME_SHARE:
                misfits.append(
                    Misfit(
                        panel=pieces[j].number,
                        sentence=message("traced.same_piece", panel=pieces[i].number, other=pieces[j].number),
                    )
                )
    return misfits


def _seam_misfit(after: TracedPiece, left: _Sides, right: _Sides) -> list[Misfit]:
    off = _seam_off(left, right)
    if off <= _SEAM_OFF_MM:
        return []
    seam = seam_label(after.number - 1)
    turns: tuple[tuple[Literal["mirrored", "upside down", "turned round"], dict[str, bool]], ...] = (
        ("mirrored", {"mirrored": not after.mirrored}),
        ("upside down", {"upside_down": not after.upside_down}),
        ("turned round", {"mirrored": not after.mirrored, "upside_down": not after.upside_down}),
    )
    tried = [(_seam_off(left, _sides(after.model_copy(update=change))), name) for name, change in turns]
    best, name = min(tried)
    if best <= _SEAM_OFF_MM:
        said = message(f"traced.{name.replace(' ', '_')}", seam=seam, off_mm=off, panel=after.number)
        return [Misfit(panel=after.number, sentence=said, turn=name)]
    return [Misfit(panel=after.number, sentence=message("traced.another_panel", seam=seam, off_mm=off))]


def _seam_off(left: _Sides, right: _Sides) -> float:
    """How far the two sides of a seam differ, above plus below the waist, mm."""
    lengths = []
    for edge in (left.cb_edge, right.cf_edge):
        points = np.array(edge)
        run = lengths_along(points[:, 0], points[:, 1])
        waist = float(np.interp(0.0, points[:, 1], run))
        lengths.append((waist, float(run[-1]) - waist))
    return abs(lengths[0][0] - lengths[1][0]) + abs(lengths[0][1] - lengths[1][1])


def narrowest(points: tuple[tuple[float, float], ...]) -> float | None:
    """The height at which a piece is narrowest between its upper and lower fifth: its waist, if nobody drew one."""
    shape = Polygon(points)
    if not shape.is_valid:
        return None
    low, high = shape.bounds[1], shape.bounds[3]
    heights = np.linspace(low + 0.2 * (high - low), high - 0.2 * (high - low), 61)
    left, right = shape.bounds[0] - 1, shape.bounds[2] + 1
    widths = [shape.intersection(LineString([(left, z), (right, z)])).length for z in heights]
    return float(heights[int(np.argmin(widths))])


# --- one piece -------------------------------------------------------------------------------------------


def _turned(piece: TracedPiece, points: Array) -> Array:
    """Points of a drawing in the frame of the piece: waist at 0, the right way up and round."""
    turn = np.array([-1.0 if piece.mirrored else 1.0, -1.0 if piece.upside_down else 1.0])
    return np.asarray((points - np.array([0.0, piece.waist_mm or 0.0])) * turn)


def corners_of(piece: TracedPiece) -> tuple[tuple[float, float], ...]:
    """The four corners of a piece where they lie on the drawing: hem at CF, top at CF, top at CB, hem at CB."""
    sides = _sides(piece)
    ends = np.array([sides.cf_edge[0], sides.cf_edge[-1], sides.cb_edge[-1], sides.cb_edge[0]])
    turn = np.array([-1.0 if piece.mirrored else 1.0, -1.0 if piece.upside_down else 1.0])
    return _as_points(ends * turn + np.array([0.0, piece.waist_mm or 0.0]))


def _nearest(points: Array, piece: TracedPiece) -> tuple[int, int, int, int]:
    wanted = _turned(piece, np.array(piece.corners))
    found = [int(np.argmin(np.hypot(*(points - corner).T))) for corner in wanted]
    if len(set(found)) < 4:
        raise Unmakeable("traced", "traced.corners_meet", panel=piece.number)
    order = [(one - found[0]) % len(points) for one in found]
    if order != sorted(order):
        raise Unmakeable("traced", "traced.corners_out_of_order", panel=piece.number)
    return found[0], found[1], found[2], found[3]


def _sides(piece: TracedPiece) -> _Sides:
    points = np.array(piece.points, dtype=float)
    if np.hypot(*(points[0] - points[-1])) < 1e-6:
        points = points[:-1]
    points = _turned(piece, points)
    if Polygon(points).exterior.is_ccw:
        points = points[::-1]  # clockwise: up the CF edge, along the top, down the CB edge, back along the hem
    points = _dense(points)
    bl, tl, tr, br = _corners(points) if piece.corners is None else _nearest(points, piece)
    return _Sides(
        cf_edge=_rising(_stretch(points, bl, tl)),
        top=_as_points(_stretch(points, tl, tr)),
        cb_edge=_rising(_stretch(points, tr, br)[::-1]),
        hem=_as_points(_stretch(points, br, bl)[::-1]),
    )


def _dense(points: Array, step: float = 2.0) -> Array:
    """The closed outline with no stretch longer than `step`, its own points kept."""
    found = []
    for start, end in zip(points, np.roll(points, -1, axis=0), strict=True):
        count = max(1, math.ceil(float(np.hypot(*(end - start))) / step))
        found.append(start + (end - start) * (np.arange(count) / count)[:, None])
    return np.vstack(found)


def _corners(points: Array) -> tuple[int, int, int, int]:
    """Indices of bottom left, top left, top right, bottom right: the outermost sharp points of a panel."""
    low, high = points.min(axis=0), points.max(axis=0)
    scaled = 2 * (points - low) / (high - low) - 1
    before, after = points - np.roll(points, 1, axis=0), np.roll(points, -1, axis=0) - points
    turn = np.abs(np.angle((after[:, 0] + 1j * after[:, 1]) * np.conj(before[:, 0] + 1j * before[:, 1])))
    sharp = np.flatnonzero(turn > _SHARP)
    candidates = sharp if len(sharp) >= 4 else np.arange(len(points))
    found = []
    for sx, sz in ((-1, -1), (-1, 1), (1, 1), (1, -1)):
        score = sx * scaled[candidates, 0] + 1.3 * sz * scaled[candidates, 1]
        found.append(int(candidates[int(np.argmax(score))]))
    if len(set(found)) < 4:
        raise Unmakeable("traced", "traced.four_corners")
    return found[0], found[1], found[2], found[3]


def _stretch(points: Array, start: int, end: int) -> Array:
    """The outline from one index to another, going on round."""
    if start <= end:
        return points[start : end + 1]
    return np.vstack([points[start:], points[: end + 1]])


def _as_points(points: Array) -> tuple[tuple[float, float], ...]:
    return tuple((float(x), float(z)) for x, z in points)


def _rising(points: Array) -> tuple[tuple[float, float], ...]:
    """An edge from hem to top whose height never falls, so that it has one x at each height."""
    kept = [points[0]]
    for point in points[1:]:
        if point[1] > kept[-1][1] + 1e-6:
            kept.append(point)
    return _as_points(np.array(kept))


# --- the pattern -----------------------------------------------------------------------------------------


def from_outlines(traced: TracedPattern, body: Body, allowances: Allowances) -> Pattern:
    """The pattern of traced pieces on this body's levels. Raises Unmakeable at `traced` for what stops it."""
    stop = next((misfit for misfit in check_pieces(traced) if misfit.stops), None)
    if stop is not None:
        raise Unmakeable("traced", stop.sentence.code, **stop.sentence.given)
    if traced.front_panels >= len(traced.pieces):
        raise Unmakeable("traced.front_panels", "no_panel_behind")
    sides = [_sides(piece) for piece in sorted(traced.pieces, key=lambda piece: piece.number)]
    stations = _stations(sides, body)
    widths = np.array([_x_at(side.cb_edge, 0.0) - _x_at(side.cf_edge, 0.0) for side in sides])
    run = np.concatenate([[0.0], np.cumsum(widths)])
    places = [run_to_place(float(u), run, traced.front_panels) for u in run]
    edges = np.array(
        [
            [
                _at_station(side, station, (places[i], places[i + 1]), body, (i == 0, i + 1 == len(sides)))
                for i, side in enumerate(sides)
            ]
            for station in stations
        ]
    )
    drawn = [z for side in sides for edge in (side.cf_edge, side.cb_edge) for z in (edge[0][1], edge[-1][1])]
    low, high = min(drawn) - _MARGIN_MM, max(drawn) + _MARGIN_MM
    strain = tuple(  # tight beyond what was drawn, so that it does not bend what was
        12.0 if two.side_mm < low + 1 or station.side_mm > high - 1 else 0.0
        for station, two in zip(stations, stations[1:], strict=False)
    )
    edges = edges - edges[:, :, 0].min(axis=0)[None, :, None]
    return Pattern(
        stations=stations,
        panels=tuple(
            Panel(number=i + 1, cf_edge_mm=tuple(edges[:, i, 0]), cb_edge_mm=tuple(edges[:, i, 1]))
            for i in range(len(sides))
        ),
        front_panels=traced.front_panels,
        top=_edge_line([side.top for side in sides], sides, traced.front_panels),
        hem=_edge_line([side.hem for side in sides], sides, traced.front_panels),
        allowances=allowances,
        strain=strain,
    )


def _at_station(
    side: _Sides, station: Station, places: tuple[float, float], body: Body, straight: tuple[bool, bool]
) -> tuple[float, float]:
    """x of both edges of a piece at a station. What nobody drew goes on as drawn for a little, then with the body."""
    found = []
    for edge, place, other in ((side.cf_edge, places[0], False), (side.cb_edge, places[1], True)):
        z = _height(station, place)
        low, high = edge[0][1] - _GOES_ON_MM, edge[-1][1] + _GOES_ON_MM
        held = min(max(z, low), high)
        x = _x_at(edge, held)
        if held != z and not straight[other]:
            width = _x_at(side.cb_edge, held) - _x_at(side.cf_edge, held)
            grow = width * (_girth(body, z) / _girth(body, held) - 1) * (1.0 if any(straight) else 0.5)
            x += grow if other else -grow
        found.append(x)
    return found[0], found[1]


def _girth(body: Body, z: float) -> float:
    return float(np.interp(z, [level.side_mm for level in body], [level.girth_mm for level in body]))


def _stations(sides: list[_Sides], body: Body) -> tuple[Station, ...]:
    """The body's levels, and heights close enough between and beyond them to keep what was drawn."""
    heights = [z for side in sides for edge in (side.cf_edge, side.cb_edge) for z in (edge[0][1], edge[-1][1])]
    low, high = min(heights) - _MARGIN_MM, max(heights) + _MARGIN_MM
    levels = list(body)
    named = np.array([level.side_mm for level in levels])
    count = max(4, round((high - low) / _STATION_MM))
    between = [float(z) for z in np.linspace(low, high, count) if np.min(np.abs(named - z)) > 5]
    front = np.array([level.front_mm - level.side_mm for level in levels])
    back = np.array([level.back_mm - level.side_mm for level in levels])
    found = [
        Station(name=level.name, front_mm=level.front_mm, side_mm=level.side_mm, back_mm=level.back_mm)
        for level in levels
    ]
    for z in between:
        shift = [float(np.interp(z, named, offsets)) for offsets in (front, back)]
        found.append(Station(front_mm=z + shift[0], side_mm=z, back_mm=z + shift[1]))
    return tuple(sorted(found, key=lambda station: station.side_mm))


def _height(station: Station, place: float) -> float:
    if place <= 1:
        return station.side_mm + (1 - place) * (station.front_mm - station.side_mm)
    return station.side_mm + (place - 1) * (station.back_mm - station.side_mm)


def _x_at(edge: tuple[tuple[float, float], ...], z: float) -> float:
    """x of an edge at a height; beyond its ends, straight on as its last centimetre runs."""
    points = np.array(edge)
    if points[0, 1] <= z <= points[-1, 1]:
        return float(np.interp(z, points[:, 1], points[:, 0]))
    end = points[0] if z < points[0, 1] else points[-1]
    inner = end[1] + (10 if z < points[0, 1] else -10)
    x = float(np.interp(inner, points[:, 1], points[:, 0]))
    return float(end[0] + (end[0] - x) / (end[1] - inner) * (z - end[1]))


def _edge_line(lines: list[tuple[tuple[float, float], ...]], sides: list[_Sides], front: int) -> EdgeLine:
    """A top line or hem through the drawn ones: at every seam half way between both sides, and between as drawn."""
    ends = [(line[0][1], line[-1][1]) for line in lines]
    at_seams = [ends[0][0], *((end[1] + two[0]) / 2 for end, two in zip(ends, ends[1:], strict=False)), ends[-1][1]]
    middle = float(np.mean([at_seams[0], at_seams[front], at_seams[-1]]))
    widths = [_x_at(side.cb_edge, middle) - _x_at(side.cf_edge, middle) for side in sides]
    run = np.concatenate([[0.0], np.cumsum(widths)])
    points = [
        EdgePoint(place=run_to_place(float(run[j]), run, front), z_mm=at_seams[j])
        for j in range(1, len(lines))
        if j != front
    ]
    for i, (line, side) in enumerate(zip(lines, sides, strict=True)):
        drawn = np.array(line)
        for t in _ON_EDGE:
            z = _on_line(drawn, side, t)
            lift = (1 - t) * (ends[i][0] - at_seams[i]) + t * (ends[i][1] - at_seams[i + 1])
            u = float(run[i] + t * widths[i])
            points.append(EdgePoint(place=run_to_place(u, run, front), z_mm=z - lift))
    points = sorted(points, key=lambda point: point.place)
    slopes = [_end_slope(np.array(lines[0])), _end_slope(np.array(lines[-1])[::-1])]
    return EdgeLine(
        cf_mm=at_seams[0],
        side_mm=at_seams[front],
        cb_mm=at_seams[-1],
        points=tuple(points),
        corner_at_cf=slopes[0] > 0.06,
        corner_at_cb=slopes[1] > 0.06,
    )


def _on_line(line: Array, side: _Sides, t: float) -> float:
    """Height of a drawn line at the share `t` of the way from the CF edge to the CB edge at that height."""
    z = float(np.interp(t, np.linspace(0, 1, len(line)), line[:, 1]))
    for _ in range(8):
        left, right = _x_at(side.cf_edge, z), _x_at(side.cb_edge, z)
        z = float(np.interp(left + t * (right - left), line[:, 0], line[:, 1]))
    return z


def _end_slope(line: Array) -> float:
    away = line[min(3, len(line) - 1)] - line[0]
    return abs(float(away[1])) / max(abs(float(away[0])), 1e-6)
