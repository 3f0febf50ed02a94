"""Cups: two pieces each with a seam down over the bust point, and the underwire line they are sewn to (model, 4).

A breast is taken as a cap of a sphere over its root circle, whose diameter is the underwire's. Half of the cap is
laid flat row by row, as a gore of a globe is: the rows across it and the seam over the bust point keep their length,
which gives that seam the curve that makes the depth. What the wire edge has too much or too little is eased in.
"""

import math
from collections.abc import Sequence

import numpy as np

from fuseau.craft.base.curves import Array, lengths_along
from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.pattern.pattern import EdgeLine, EdgePoint
from fuseau.craft.pattern.trueing import LaidPiece, Point
from fuseau.craft.wearer.body import Body

WIRE_END = math.radians(78)  # an underwire reaches this far up from its lowest point on each side
_MARKS_APART_MM = 4.0
_ABOVE_POINT = 0.35  # share of the cap's half arc that the cup covers above the bust point


class Cup(Record):
    """A cup's measures, mm: its wire, the way over the bust point from wire to wire, its depth, and its pieces.

    `over_point_mm`: so far it reaches above the bust point, along the cup. `points_apart_mm`: bust point to bust point.
    """

    wire_diameter_mm: float
    wire_mm: float
    across_mm: float
    depth_mm: float
    over_point_mm: float
    eased_in_mm: float
    points_apart_mm: float
    pieces: tuple[LaidPiece, ...]


def usual_bust_points(body: Body) -> float:
    """Bust point to bust point when nobody measured it: about a fifth of the bust, mm."""
    return 0.2 * body["bust"].girth_mm


def make_cup(body: Body, bust_points_mm: float | None, practice: Practice) -> Cup:
    """The cup for a body (bust and underbust needed), from what the front arc of the bust has more.

    Raises Unmakeable at `draft.cups` when there is no fullness for a cup.
    """
    apart = bust_points_mm or usual_bust_points(body)
    diameter = practice.cup_wire_share * apart
    fuller = body["bust"].front_share * body["bust"].girth_mm - body["underbust"].front_share * (
        body["underbust"].girth_mm
    )
    across = diameter + fuller / 2
    if across < 1.04 * diameter:
        raise Unmakeable("draft.cups", "needs_no_cups")
    half_angle = _half_angle(min(across / diameter, 2.2))
    radius = diameter / 2 / math.sin(half_angle)
    seam, wire = _half_cap(half_angle, radius)
    flat_wire = float(lengths_along(*wire.T)[-1])
    true_wire = diameter / 2 * WIRE_END
    pieces = tuple(_piece(name, seam, wire, sign, true_wire) for name, sign in (("inner", 1), ("outer", -1)))
    return Cup(
        wire_diameter_mm=diameter,
        wire_mm=2 * true_wire,
        across_mm=across,
        depth_mm=radius * (1 - math.cos(half_angle)),
        over_point_mm=_ABOVE_POINT * half_angle * radius,
        eased_in_mm=2 * (flat_wire - true_wire),
        points_apart_mm=apart,
        pieces=pieces,
    )


def _half_angle(ratio: float) -> float:
    """θ of a cap whose arc is `ratio` times its chord: θ / sin θ = ratio, by bisection."""
    low, high = 1e-3, math.pi - 0.4
    for _ in range(60):
        middle = (low + high) / 2
        if middle / math.sin(middle) < ratio:
            low = middle
        else:
            high = middle
    return (low + high) / 2


def _half_cap(half_angle: float, radius: float) -> tuple[Array, Array]:
    """Seam edge and wire edge of half a cap laid flat, both from the lowest point up, (n, 2) mm.

    Rows run along great circles across the one half way between bust point and wire, and keep their length (x); they
    lie so far apart (y) that the seam over the bust point keeps its own.
    """
    middle = half_angle / 2
    apex = np.array([math.cos(middle), 0.0, math.sin(middle)])
    up, out = np.array([0.0, 1.0, 0.0]), np.array([math.sin(middle), 0.0, -math.cos(middle)])

    def rows_of(points: Array) -> tuple[Array, Array]:
        """Which row (longitude) each point lies on, and how far along it from the middle, mm."""
        return np.arctan2(points[:, 1], points[:, 0]), radius * np.arcsin(points[:, 2])

    t = np.linspace(-half_angle, half_angle, 401)[:, None]
    row, x = rows_of(np.cos(t) * apex + np.sin(t) * up)
    rise = np.sqrt(np.maximum((radius * np.diff(t[:, 0])) ** 2 - np.diff(x) ** 2, 0))
    y = np.concatenate([[0.0], np.cumsum(rise)])
    y -= np.interp(0.0, row, y)
    covered = np.linspace(-half_angle, _ABOVE_POINT * half_angle, 41)
    seam = np.column_stack([np.interp(covered, t[:, 0], x), np.interp(covered, t[:, 0], y)])
    b = np.linspace(0, WIRE_END, 41)[:, None]
    wire_row, wire_x = rows_of(math.cos(half_angle) * apex + math.sin(half_angle) * (-np.cos(b) * up + np.sin(b) * out))
    return seam, np.column_stack([wire_x, np.interp(wire_row, row, y)])


def _piece(name: str, seam: Array, wire: Array, sign: int, true_wire: float) -> LaidPiece:
    outline = np.vstack([seam, wire[::-1][:-1]]) * [sign, 1]
    points: tuple[Point, ...] = tuple((round(float(x), 3), round(float(y), 3)) for x, y in outline)
    return LaidPiece(
        name=f"cup, {name}",
        outline=points,
        note="seam over the bust point, wire edge to the body",
        edges_mm={
            "seam over the bust point": float(lengths_along(*seam.T)[-1]),
            "wire edge": float(lengths_along(*wire.T)[-1]),
            "top edge": float(np.hypot(*(seam[-1] - wire[-1]))),
        },
        sewn_to_mm={"underwire line": true_wire},
        notches=(_at_bust_point(seam, sign), *_half_up(wire * [sign, 1], marks=1 if name == "inner" else 2)),
    )


def _at_bust_point(seam: Array, sign: int) -> Point:
    """Where the seam goes over the bust point, so that both pieces meet there."""
    return round(sign * float(np.interp(0.0, seam[:, 1], seam[:, 0])), 3), 0.0


def _half_up(wire: Array, marks: int) -> list[Point]:
    """Marks half way up a wire edge (from its lowest point): two of them on the side away from CF, 4 mm apart."""
    run = lengths_along(*wire.T)
    at = run[-1] / 2 + (np.array([0.0]) if marks == 1 else np.array([-_MARKS_APART_MM, _MARKS_APART_MM]) / 2)
    return [(round(float(x), 3), round(float(z), 3)) for x, z in _points_along(wire, run, at)]


def _points_along(line: Array, run: Array, at: Array) -> Array:
    return np.column_stack([np.interp(at, run, line[:, 0]), np.interp(at, run, line[:, 1])])


def wire_notches(tops: Sequence[Sequence[Point]], cup: Cup) -> list[list[Point]]:
    """Where the cup's notches meet the top edges of a half's pieces (each from CF on, first to last).

    At the lowest point of the wire, where the cup's seam begins, and half way up it to each side, two marks on the
    side away from CF. On each piece those that lie on it.
    """
    lines = [np.array(top) for top in tops]
    runs, begin = [], 0.0
    for line in lines:
        runs.append(begin + lengths_along(*line.T))
        begin = float(runs[-1][-1])
    run, high = np.concatenate(runs), np.concatenate([line[:, 1] for line in lines])
    under = run <= cup.points_apart_mm / 2 + cup.wire_mm / 2  # further on the side may lie lower than the wire
    low = float(run[under][np.argmin(high[under])])
    near, half = _MARKS_APART_MM / 2, cup.wire_mm / 4
    marks = low + np.array([-half, 0.0, half - near, half + near])
    return [
        [
            (float(x), float(z))
            for x, z in _points_along(line, own, marks[(marks >= own[0]) & (marks < max(own[-1], own[0] + 1e-9))])
        ]
        for line, own in zip(lines, runs, strict=True)
    ]


def wire_line(top: EdgeLine, cup: Cup, body: Body, bust_points_mm: float | None) -> EdgeLine:
    """The top line of the body below a cup: level between the cups, round under the wire, then up to the side."""
    bust = body["bust"]
    front_half = bust.front_share * bust.girth_mm / 2
    middle, radius = (bust_points_mm or usual_bust_points(body)) / 2, cup.wire_diameter_mm / 2
    points = []
    for degrees in (-78, -65, -50, -26, 0, 26, 50, 65, 78):
        angle = math.radians(degrees)
        place = (middle + radius * math.sin(angle)) / front_half
        height = bust.front_mm - radius * math.cos(angle)
        points.append(EdgePoint(place=round(place, 5), z_mm=round(height, 2), corner=abs(degrees) == 78))
    return top.model_copy(update={"points": tuple(points), "cf_mm": points[0].z_mm})
