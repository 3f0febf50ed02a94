"""Pattern pieces as strokes and labels in millimetres, y up: what the SVG and the PDF both draw."""

import math
import unicodedata
from collections.abc import Sequence
from dataclasses import dataclass, field, replace
from typing import Literal, NamedTuple

import numpy as np
import shapely
from shapely.geometry import LineString, MultiLineString, Point, Polygon, box

from fuseau.craft.base.curves import Array
from fuseau.craft.boning.bones import Bone
from fuseau.craft.layout.pieces import ClothPiece, bias_turn
from fuseau.craft.pattern.cups import wire_notches
from fuseau.craft.pattern.cut_lines import cut_line, cut_piece
from fuseau.craft.pattern.one_piece import Joined, join_panels
from fuseau.craft.pattern.trueing import LaidPanel, LaidPiece, Notch
from fuseau.document.build import Build
from fuseau.planning.plan import Plan
from fuseau.planning.stages.cut import pieces_of

Kind = Literal["cut", "stitch", "waist", "grain", "notch", "channel", "hole", "dart"]
Spot = tuple[float, float]


@dataclass(frozen=True)
class Stroke:
    """A line through points in mm; a circle has its centre and radius too, and is drawn as one where that can be."""

    kind: Kind
    points: tuple[Spot, ...]
    closed: bool = False
    centre: Spot | None = None
    radius_mm: float = 0.0


_CAPITAL_EM, _SIGN_EM = 0.73, 0.66  # of the font that is embedded: a capital's height, a sign's usual width
_ON_EDGE_MM = 0.5
_NOTHING_MM2 = 1e-9  # an outline that encloses less encloses nothing
_SIZES = (1.0, 0.85, 0.7)
_TRIED_AT_ONCE = 64  # places of a label, from the nearest on
_NAME_MM = 90.0  # along a panel, whose least height is some 150
_MOVES = np.array(
    sorted(
        ((dx, dz) for dx in np.arange(-45, 45.1, 1.5).tolist() for dz in np.arange(-60, 60.1, 5.0).tolist()),
        key=lambda move: (math.hypot(move[0], 0.6 * move[1]), move),
    )
)


@dataclass(frozen=True)
class Label:
    """Text centred on a point; `size_mm` is the height of a capital, `angle` degrees anticlockwise."""

    at: Spot
    text: str
    size_mm: float
    angle: float = 0.0


@dataclass(frozen=True)
class Piece:
    """One piece of paper: strokes and labels about its own origin."""

    name: str
    strokes: tuple[Stroke, ...]
    labels: tuple[Label, ...]
    bounds: tuple[float, float, float, float] = field(default=(0, 0, 0, 0))

    def moved(self, dx: float, dy: float) -> "Piece":
        """The same piece elsewhere."""

        def go(spot: Spot) -> Spot:
            return spot[0] + dx, spot[1] + dy

        return Piece(
            self.name,
            tuple(
                replace(s, points=tuple(map(go, s.points)), centre=go(s.centre) if s.centre else None)
                for s in self.strokes
            ),
            tuple(Label(go(label.at), label.text, label.size_mm, label.angle) for label in self.labels),
            (self.bounds[0] + dx, self.bounds[1] + dy, self.bounds[2] + dx, self.bounds[3] + dy),
        )


def pattern_pieces(build: Build, planned: Plan) -> list[Piece]:
    """Every piece of cloth with cut and stitch lines, waist, grain, notches, channels, holes and labels.

    Panels that are joined are one piece with their darts; where the halves differ both are drawn. Gussets, cups and
    shoulder pieces follow. Raises ValueError while nothing is drafted.
    """
    if planned.pattern is None:
        raise ValueError("there is no pattern yet")
    found = []
    left = planned.pattern.left_panels
    if left is None and planned.left is not None:  # cut alike, boned otherwise
        left = planned.pattern.panels
    halves = ((planned.pattern.panels, "right"), (left or (), "left"))
    for panels, half in halves:
        side = half if left else ""
        for joined, ticks in _ticked(join_panels(panels, planned.pattern.joined), planned):
            found.append(_piece(joined, ticks, planned, named(build, planned).within(_NAME_MM, 2.4), side))
    found += [_loose(piece, planned) for piece in planned.pattern.pieces]
    return found


def ply_pieces(build: Build, planned: Plan) -> list[Piece]:
    """Every piece of every ply with its cut and stitch line and grain: what it is, of which cloth, how many.

    Raises ValueError while nothing is drafted.
    """
    if planned.pattern is None:
        raise ValueError("there is no pattern yet")
    return [_of_ply(piece, build, planned) for piece in pieces_of(build, planned)]


def _ticks_of(piece: ClothPiece, planned: Plan) -> list[Stroke]:
    """The notches of a piece of a ply, as the pattern has them: of a part of a panel those on it."""
    assert planned.pattern is not None
    if piece.what in ("cup", "gusset", "shoulder piece"):
        spots = [at for one in planned.pattern.pieces if one.name == piece.label for at in one.notches]
        return [_tick(piece.stitch, at) for at in spots]
    if piece.what != "panel":
        return []
    panels = (planned.pattern.left_panels if piece.half == "left" else None) or planned.pattern.panels
    pieces = join_panels(panels, tuple(seam for seam in piece.panels if seam + 1 in piece.panels))
    ticks = next(ticks for joined, ticks in _ticked(pieces, planned) if joined.numbers == piece.panels)
    ring = LineString([*piece.stitch, piece.stitch[0]])
    return [tick for tick in ticks if ring.distance(LineString(tick.points)) < _ON_EDGE_MM]


def _of_ply(piece: ClothPiece, build: Build, planned: Plan) -> Piece:
    xs, zs = [x for x, _ in piece.outline], [z for _, z in piece.outline]
    middle, height = (min(xs) + max(xs)) / 2, (min(zs) + max(zs)) / 2
    reach = 0.35 * min(max(xs) - min(xs), max(zs) - min(zs)) if piece.grain != "along" else 0.35 * (max(zs) - min(zs))
    angle = math.radians(90 - bias_turn(piece.grain))
    way = math.cos(angle), math.sin(angle)
    grain = (
        (middle - reach * way[0], height - reach * way[1]),
        (middle + reach * way[0], height + reach * way[1]),
    )
    waist = _across(piece.stitch) if piece.what in ("panel", "overlay") else None
    role = build.layers.plies[piece.ply].role
    what = piece.label if piece.what == "panel" else f"{piece.what} {piece.label}".strip()
    count = f"cut {piece.count}" + (", mirrored" if piece.mirrored else f", {piece.half} half" if piece.half else "")
    lines = [
        (what, 7.0 if piece.what == "panel" else 3.2),
        (f"{role}: {build.cloths[piece.cloth].label}", 2.8),
        (count, 2.4),
        *([("all with TOP the same way", 2.4)] if piece.one_way else []),
        (named(build, planned).within(0.7 * max(max(xs) - min(xs), max(zs) - min(zs)), 2.2), 2.2),
    ]
    labels = [Label((middle + 8 + 5 * k, height), text, size, 90) for k, (text, size) in enumerate(lines)]
    if piece.what in ("panel", "overlay"):
        labels.append(Label((middle + 8, max(zs) - 16), "TOP", 3.2))
    strokes = (
        Stroke("cut", piece.outline, closed=True),
        Stroke("stitch", piece.stitch, closed=True),
        *([Stroke("waist", waist)] if waist else []),
        Stroke("grain", grain),
        *_heads(grain, both=not piece.one_way),
        *_ticks_of(piece, planned),
    )
    return Piece(
        piece.key,
        strokes,
        clear(labels, strokes, piece.outline),
        (min(xs), min(zs), max(xs), max(zs)),
    )


def clear(labels: Sequence[Label], strokes: Sequence[Stroke], outline: Sequence[Spot]) -> tuple[Label, ...]:
    """The labels, each moved as little as may be to where it crosses no line, no other label, and stays on the piece.

    Where it has no room so it is turned a quarter, and then set smaller; one that finds no place stays where it is.
    """
    lines = [LineString([*stroke.points, stroke.points[0]] if stroke.closed else stroke.points) for stroke in strokes]
    paper, drawn = Polygon(outline).buffer(0), MultiLineString(lines)
    shapely.prepare(paper)
    shapely.prepare(drawn)
    placed: list[Label] = []
    taken = np.empty((0, 4))
    for label in labels:
        sizes = (replace(label, size_mm=label.size_mm * share) for share in _SIZES)
        ways = (way for size in sizes for way in (size, replace(size, angle=90.0 - size.angle)))
        free = next((spot for way in ways if (spot := _free(way, paper, drawn, taken))), label)
        placed.append(free)
        taken = np.vstack([taken, _rooms(free, np.zeros((1, 2)))])
    return tuple(placed)


def _free(label: Label, paper: Polygon, drawn: MultiLineString, taken: Array) -> Label | None:
    """The label where it is on the paper and meets nothing, moved as little as may be; None where it has no room.

    `taken` is what other labels take, (labels, 4), as `_rooms` gives it.
    """
    for begin in range(0, len(_MOVES), _TRIED_AT_ONCE):
        moves = _MOVES[begin : begin + _TRIED_AT_ONCE]
        rooms = _rooms(label, moves)
        apart = (rooms[:, None, 2:] < taken[:, :2]) | (rooms[:, None, :2] > taken[:, 2:])
        rows = np.flatnonzero(np.all(np.any(apart, axis=2), axis=1))
        least_x, least_z, most_x, most_z = rooms[rows].T
        boxes = shapely.box(least_x, least_z, most_x, most_z)
        for row in rows[shapely.contains(paper, boxes) & ~shapely.intersects(drawn, boxes)]:
            dx, dz = moves[row].tolist()
            return replace(label, at=(label.at[0] + dx, label.at[1] + dz))
    return None


def _room(label: Label) -> Polygon:
    """The room that a label takes where it is."""
    return box(*_rooms(label, np.zeros((1, 2)))[0])


def _rooms(label: Label, moves: Array) -> Array:
    """The room that a label takes with a little around it, at each of the moves: least and most, (moves, 4), mm."""
    em = label.size_mm / _CAPITAL_EM
    wide, high = _ems(label.text) * em / 2 + 0.8, (label.size_mm + 0.22 * em) / 2 + 0.7
    half = np.array([high, wide] if label.angle == 90 else [wide, high])
    middle = np.array(label.at) + moves
    return np.hstack([middle - half, middle + half])


def _ems(text: str) -> float:
    """About how wide a text is, in sizes of its font: signs of Han, kana and Hangul are as wide as high.

    >>> _ems("Reed") < _ems("王小明女")
    True
    """
    return sum(1.0 if unicodedata.east_asian_width(sign) in "WF" else _SIGN_EM for sign in text)


def _across(outline: tuple[Spot, ...]) -> tuple[Spot, Spot] | None:
    """The waistline of a panel, from side to side of a closed line."""
    round_it = zip(outline, (*outline[1:], outline[0]), strict=True)
    met = [x0 - z0 * (x1 - x0) / (z1 - z0) for (x0, z0), (x1, z1) in round_it if (z0 <= 0) != (z1 <= 0)]
    return ((min(met), 0.0), (max(met), 0.0)) if met else None


def _heads(grain: tuple[Spot, Spot], *, both: bool) -> list[Stroke]:
    """Arrow heads of a grain line, at its top or at both ends."""
    (x0, y0), (x1, y1) = grain
    length = math.hypot(x1 - x0, y1 - y0)
    dx, dy = (x1 - x0) / length, (y1 - y0) / length
    ends = [((x1, y1), 1.0), ((x0, y0), -1.0)] if both else [((x1, y1), 1.0)]
    return [
        Stroke(
            "grain",
            (
                (x - sign * 5 * dx - 2 * dy, y - sign * 5 * dy + 2 * dx),
                (x, y),
                (x - sign * 5 * dx + 2 * dy, y - sign * 5 * dy - 2 * dx),
            ),
        )
        for (x, y), sign in ends
    ]


class Titled(NamedTuple):
    """What is printed: the build's name, and the version behind a comma, which is never cut off."""

    name: str
    version: str

    def __str__(self) -> str:
        """The whole title."""
        return self.name + self.version

    def within(self, room_mm: float, size_mm: float) -> str:
        """The title, with its name cut where it would be longer than the room for it at that size."""
        room, name = room_mm * _CAPITAL_EM / size_mm - _ems(self.version), self.name
        if _ems(name) <= room:
            return str(self)
        while len(name) > 1 and _ems(name) + _SIGN_EM > room:
            name = name[:-1].rstrip()
        return f"{name}…{self.version}"


def named(build: Build, planned: Plan) -> Titled:
    """The build with the version that is printed."""
    version = planned.pattern.version if planned.pattern else None
    return Titled(build.brief.name, f", version {version}" if version else ", draft")


def _ticked(pieces: Sequence[Joined], planned: Plan) -> list[tuple[Joined, list[Stroke]]]:
    """The pieces of a half, each with its notches: those of its seams, and of a cup where one is sewn to it."""
    cup = planned.pattern.cup if planned.pattern and pieces else None
    wired = wire_notches([piece.panel.top for piece in pieces], cup) if cup else [[] for _ in pieces]
    return [
        (
            joined,
            [
                *(stroke for notch in joined.panel.cf_notches for stroke in _ticks(joined.panel.cf_edge, notch, -1)),
                *(stroke for notch in joined.panel.cb_notches for stroke in _ticks(joined.panel.cb_edge, notch, 1)),
                *(_tick(joined.panel.outline, at) for at in spots),
            ],
        )
        for joined, spots in zip(pieces, wired, strict=True)
    ]


def _piece(joined: Joined, ticks: Sequence[Stroke], planned: Plan, title: str, half: str) -> Piece:
    assert planned.pattern is not None
    panel, count, last = joined.panel, len(planned.pattern.panels), joined.numbers[-1]
    cut = cut_line(panel, count, planned.pattern.allowances, last).cut_line
    bones = [
        bone.model_copy(update={"path": tuple((x + joined.offsets[i], z) for x, z in bone.path)})
        for i, number in enumerate(joined.numbers)
        for bone in (planned.left.bones if half == "left" and planned.left else planned.bones)
        if bone.panel == number
    ]
    xs, zs = [x for x, _ in cut], [z for _, z in cut]
    spine = _spine(panel, max(xs) if last == count else None)
    grain = ((spine, panel.grain[0][1]), (spine, panel.grain[1][1]))
    strokes = [
        Stroke("cut", cut, closed=True),
        Stroke("stitch", panel.outline, closed=True),
        Stroke("waist", panel.waist),
        Stroke("grain", grain),
        *_heads(grain, both=True),
        *ticks,
        *(stroke for bone in bones for stroke in _channel(bone)),
        *(Stroke("dart", dart, closed=True) for dart in panel.darts),
        *(Stroke("cut", slash) for slash in panel.slashes),
    ]
    if planned.holes is not None:
        placed = planned.holes.left if half == "left" else planned.holes.right
        aside = joined.offsets[-1]
        behind = [(x + aside, z) for x, z in placed.behind] if last == count else []
        in_front = placed.in_front if panel.number == 1 else ()
        strokes += [_hole(place, planned.holes.hole_mm) for place in (*behind, *in_front)]
    return Piece(
        f"panel {'+'.join(map(str, joined.numbers))}{f' {half}' if half else ''}",
        tuple(strokes),
        clear(_labels(joined, count, title, grain, half, planned.pattern.zero), strokes, cut),
        (min(xs), min(zs), max(xs), max(zs)),
    )


def _loose(piece: LaidPiece, planned: Plan) -> Piece:
    """A gusset, cup or shoulder piece: the same allowance all round, its name, and what it is sewn to."""
    assert planned.pattern is not None
    cut = cut_piece(piece.outline, planned.pattern.allowances.seams_mm)
    xs, zs = [x for x, _ in cut], [z for _, z in cut]
    middle, height = (min(xs) + max(xs)) / 2, (min(zs) + max(zs)) / 2
    grain = _grain_within(piece.outline)
    strokes = (
        Stroke("cut", cut, closed=True),
        Stroke("stitch", piece.outline, closed=True),
        *((Stroke("grain", grain), *_heads(grain, both=True)) if grain else ()),
        *(_tick(piece.outline, at) for at in piece.notches),
    )
    labels = [
        Label((middle, height), piece.name, 3.2),
        Label((middle, height - 6), f"cut {piece.cut}, mirrored", 2.4),
    ]
    return Piece(
        piece.name,
        strokes,
        clear(labels, strokes, cut),
        (min(xs), min(zs), max(xs), max(zs)),
    )


def _grain_within(outline: Sequence[Spot]) -> tuple[Spot, Spot] | None:
    """An upright grain line well inside an outline; None in one that encloses nothing."""
    shape = Polygon(outline).buffer(0)  # one that crosses itself has an inside too
    if shape.area < _NOTHING_MM2:
        return None
    inside = shape.representative_point()
    _, low, _, high = shape.bounds
    met = shape.intersection(LineString([(inside.x, low), (inside.x, high)]))
    parts = [part.bounds for part in getattr(met, "geoms", [met]) if not part.is_empty]
    if not parts:  # a sliver: rounding puts its inner point beside it
        return None
    down = max(parts, key=lambda part: part[3] - part[1])
    middle, reach = (down[1] + down[3]) / 2, 0.35 * (down[3] - down[1])
    return (inside.x, middle - reach), (inside.x, middle + reach)


def _tick(outline: Sequence[Spot], at: Spot) -> Stroke:
    """A notch across a closed outline at a place on it: a little inside, more outside."""
    ring = LineString([*outline, outline[0]])
    along = ring.project(Point(at))
    before, after = ring.interpolate(max(0.0, along - 1)), ring.interpolate(min(ring.length, along + 1))
    length = math.hypot(after.x - before.x, after.y - before.y)
    out = (after.y - before.y) / length, -(after.x - before.x) / length
    sign = -1 if Polygon(outline).contains(Point(at[0] + 0.5 * out[0], at[1] + 0.5 * out[1])) else 1
    ends = ((at[0] + by * sign * out[0], at[1] + by * sign * out[1]) for by in (-2.0, 5.0))
    return Stroke("notch", tuple(ends))


def _spine(panel: LaidPanel, cut_edge: float | None) -> float:
    """Where grain line and labels go: the middle; in the last panel the wide CB allowance, clear of the holes."""
    left, right = panel.waist[0][0], panel.waist[1][0]
    if cut_edge is not None and cut_edge - right > 25:
        return (right + cut_edge) / 2 - 4
    return (left + right) / 2


def _labels(joined: Joined, count: int, title: str, grain: tuple[Spot, Spot], half: str, zero: str) -> list[Label]:
    """What keeps a panel from being sewn in upside down or back to front: number, TOP, the way to CF, its half."""
    panel = joined.panel
    middle = grain[0][0] + 6
    low, high = grain[0][1], grain[1][1]
    found = [
        Label((middle, high * 0.72), "+".join(map(str, joined.numbers)), 9),
        Label((middle, high), "TOP", 3.2),
        Label((middle, high * 0.42), f"cut 1, {half} half" if half else "cut 2, mirrored", 2.6, 90),
        Label((middle, low * 0.55), title, 2.4, 90),
        Label((panel.waist[0][0] + 9, 2), zero, 2.2),
    ]
    if panel.number == 1:
        found.append(Label((panel.waist[0][0] + 4, low * 0.5), "CF", 3.5, 90))
    else:
        found.append(Label((panel.waist[0][0] + 9, -4), "← to CF", 2.2))
    if joined.numbers[-1] == count:
        found.append(Label((panel.waist[1][0] - 4, low * 0.5), "CB", 3.5, 90))
    return found


def _hole(at: Spot, wide_mm: float) -> Stroke:
    return Stroke("hole", _circle(at, wide_mm / 2), closed=True, centre=at, radius_mm=wide_mm / 2)


def _circle(centre: Spot, radius: float) -> tuple[Spot, ...]:
    return tuple(
        (centre[0] + radius * math.cos(a), centre[1] + radius * math.sin(a))
        for a in np.linspace(0, 2 * math.pi, 24, endpoint=False)
    )


def _run_along(edge: tuple[Spot, ...]) -> tuple[np.ndarray, np.ndarray, np.ndarray]:
    """x, z and running length from the waistline of an edge that goes from hem to top."""
    x, z = np.array(edge).T
    run = np.concatenate([[0.0], np.cumsum(np.hypot(np.diff(x), np.diff(z)))])
    return x, z, run - np.interp(0.0, z, run)


def _ticks(edge: tuple[Spot, ...], notch: Notch, side: int) -> list[Stroke]:
    """Notch ticks across the stitch line into the allowance, 4 mm apart."""
    x, z, run = _run_along(edge)
    found = []
    for i in range(notch.marks):
        at = notch.from_waist_mm + 4 * (i - (notch.marks - 1) / 2)
        spot = float(np.interp(at, run, x)), float(np.interp(at, run, z))
        near = np.interp([at - 1, at + 1], run, x), np.interp([at - 1, at + 1], run, z)
        dx, dz = float(np.diff(near[0])[0]), float(np.diff(near[1])[0])
        length = math.hypot(dx, dz)
        out = (side * dz / length, -side * dx / length)
        found.append(
            Stroke(
                "notch", ((spot[0] - 2 * out[0], spot[1] - 2 * out[1]), (spot[0] + 5 * out[0], spot[1] + 5 * out[1]))
            )
        )
    return found


def _channel(bone: Bone) -> list[Stroke]:
    """Every line of stitching of a channel; of one that is centred on a seam, those in its own panel."""
    path = np.array(bone.path)
    along = np.gradient(path, axis=0)
    along /= np.hypot(along[:, 0], along[:, 1])[:, None]
    across = np.column_stack([along[:, 1], -along[:, 0]])
    lines = [line for line in bone.lines_mm if bone.place != "seam" or line < 0]
    return [Stroke("channel", tuple((float(x), float(z)) for x, z in path + line * across)) for line in lines]
