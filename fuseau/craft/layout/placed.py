"""A piece of cloth as it lies on a sheet of cloth: turned for its grain, mirrored or not, where (model, section 11).

x runs along the cloth, y across it, mm. A piece whose grain runs along lies with its top toward larger x.
"""

import math
from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, replace

from shapely.affinity import affine_transform
from shapely.geometry import Polygon

from fuseau.craft.base.record import Record
from fuseau.craft.layout.pieces import ClothPiece, bias_turn
from fuseau.craft.pattern.trueing import Point

_LEAN_STEP_DEG = 15.0  # a piece whose grain is let go is tried at so many angles


class Placed(Record):
    """A piece where it lies: which, the how-manieth, mirrored or not, turned by so much from its grain, its outline.

    `x_mm`, `y_mm` is where the origin of its own frame lies; `angle_deg` is anticlockwise on the cloth.
    """

    key: str
    number: int
    mirrored: bool
    angle_deg: float
    x_mm: float
    y_mm: float
    outline: tuple[Point, ...]

    @property
    def name(self) -> str:
        """Which copy of a piece it is, as `Copy.name`."""
        return f"{self.key}|{'m' if self.mirrored else 'p'}"


@dataclass(frozen=True)
class Copy:
    """Some copies of a piece that lie the same way up."""

    piece: ClothPiece
    mirrored: bool
    count: int

    @property
    def name(self) -> str:
        return f"{self.piece.key}|{'m' if self.mirrored else 'p'}"

    def lying(self, angle_deg: float = 0.0, at: Point = (0.0, 0.0)) -> Polygon:
        """Its outline on the cloth at an angle from its grain, its origin at a place."""
        return on_cloth(self.piece.outline, bias_turn(self.piece.grain), self.mirrored, angle_deg, at)


def orientations(piece: ClothPiece) -> tuple[float, ...]:
    """Angles from its grain at which a piece may be laid: true to its tolerance, either way up unless it has a way."""
    ways = (0.0,) if piece.one_way else (0.0, 180.0)
    lean = piece.tolerance_deg
    steps = max(1, math.ceil(lean / _LEAN_STEP_DEG)) if lean else 0
    leans = sorted((lean * k / steps for k in range(-steps, steps + 1)), key=abs) if steps else [0.0]
    return tuple(dict.fromkeys((way + by) % 360 for way in ways for by in leans))


def on_cloth(
    outline: Sequence[Point], turn_deg: float, mirrored: bool, angle_deg: float = 0.0, at: Point = (0.0, 0.0)
) -> Polygon:
    """A piece's outline as it lies: its z along the cloth, turned for its grain and by an angle, moved to a place."""
    angle = math.radians(turn_deg + angle_deg)
    c, s = math.cos(angle), math.sin(angle)
    sign = 1.0 if mirrored else -1.0  # (x, z) → (z, −x), or (z, x)
    return affine_transform(Polygon(outline), [-s * sign, c, c * sign, s, at[0], at[1]])


def copies_of(
    pieces: Sequence[ClothPiece], fold: bool = False, done: Sequence[str] = ()
) -> tuple[list[Copy], list[str]]:
    """What has to be laid, and which pieces a `fold` gives once too often; `done` names copies that lie elsewhere."""
    laid = Counter(done)
    found, spare = [], []
    for piece in pieces:
        face_down = piece.count // 2 if piece.mirrored else 0
        face_up = Copy(piece, False, piece.count - face_down)
        turned = Copy(piece, True, face_down)
        lain = (
            [laid[face_up.name], laid[turned.name]] if piece.mirrored else [laid[face_up.name] + laid[turned.name], 0]
        )
        left = [replace(one, count=max(0, one.count - n)) for one, n in zip((face_up, turned), lain, strict=True)]
        count = sum(one.count for one in left)
        if fold and count:
            found.append(Copy(piece, False, math.ceil(count / 2)))
            if count % 2:
                spare.append(piece.key)
        elif not fold:
            found += [one for one in left if one.count]
    return found, spare


def fits_across(copy: Copy, wide_mm: float) -> bool:
    """Whether a piece lies between the edges of a cloth at all, in one of its ways."""
    turn = bias_turn(copy.piece.grain)
    heights = (on_cloth(copy.piece.outline, turn, copy.mirrored, angle).bounds for angle in orientations(copy.piece))
    return any(high - low <= wide_mm for _, low, _, high in heights)


def placed(copy: Copy, number: int, angle_deg: float, at: Point) -> Placed:
    """A copy laid at an angle from its grain, its origin at a place."""
    shape = copy.lying(angle_deg, at)
    return Placed(
        key=copy.piece.key,
        number=number,
        mirrored=copy.mirrored,
        angle_deg=(angle_deg + 180) % 360 - 180,
        x_mm=at[0],
        y_mm=at[1],
        outline=tuple((round(x, 2), round(y, 2)) for x, y in shape.exterior.coords[:-1]),
    )
