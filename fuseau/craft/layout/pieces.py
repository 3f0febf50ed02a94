"""Everything that has to be cut, of every ply, with cut lines of its own allowance (model, section 11)."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Literal, NamedTuple

import numpy as np
from shapely.geometry import Polygon, box

from fuseau.craft.base.curves import Array, area_of, length_of
from fuseau.craft.base.findings import Message, message
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.closures.back import ModestyPanel
from fuseau.craft.layout.no_fit import several
from fuseau.craft.materials.cloths import ClothName, Grain
from fuseau.craft.pattern.cut_lines import cut_line, cut_piece
from fuseau.craft.pattern.one_piece import join_panels
from fuseau.craft.pattern.pattern import Allowances, seam_label
from fuseau.craft.pattern.trueing import LaidPanel, LaidPiece, Point
from fuseau.craft.plies.layers import Layers
from fuseau.craft.plies.reckoning import PlyPlan

PieceWhat = Literal[
    "panel", "overlay", "gusset", "cup", "shoulder piece", "facing", "flap", "modesty panel", "binding", "frill", "pad"
]
_FREE_DEG = 180.0  # a grain that is let go
_LEAST_PART_MM = 40.0  # a panel is not cut in two so near to its end

_NONE = Allowances(seams_mm=0, top_mm=0, hem_mm=0, cf_mm=0, cb_mm=0)


class ClothPiece(Record):
    """A piece of cloth to cut: of which ply and cloth, its cut and stitch lines (closed, mm, z up), how many.

    `mirrored`: half of them lie face down, as pairs do. `grain` runs along its z (or across it, or at 45°), true to
    `tolerance_deg`; `one_way`: all with their top the same way. `ply` is its place from the skin out, `panels` those it
    covers, `half` the half that it is for, where it is not for both.
    """

    key: str
    what: PieceWhat
    label: str
    ply: int
    cloth: ClothName
    panels: tuple[int, ...]
    half: Literal["right", "left"] | None
    count: int
    mirrored: bool
    outline: tuple[Point, ...]
    stitch: tuple[Point, ...]
    grain: Grain
    tolerance_deg: float
    one_way: bool
    note: Message

    @property
    def area_mm2(self) -> float:
        """Of one of them, as cut."""
        return area_of(self.outline)


class _Lines(NamedTuple):
    """What the panels of a half are cut as: label, panels, cut and stitch line."""

    label: str
    panels: tuple[int, ...]
    cut: tuple[Point, ...]
    stitch: tuple[Point, ...]


@dataclass
class PieceMaker:
    """What the pieces of every ply are made from: both halves laid flat, and what else is sewn.

    `front_open` tells that CF opens, and is faced there; `flap_mm`: how wide and high a flap behind what opens is;
    `facing`, `modesty_cloth`: of which cloth these are, where it is not that of their ply.
    """

    layers: Layers
    plies: Sequence[PlyPlan]
    halves: tuple[Sequence[LaidPanel], Sequence[LaidPanel] | None]
    joined: tuple[int, ...]
    pieces: Sequence[LaidPiece]
    allowances: Allowances
    practice: Practice
    modesty: ModestyPanel | None = None
    front_open: bool = False
    flap_mm: tuple[float, float] | None = None
    facing: ClothName | None = None
    modesty_cloth: ClothName | None = None
    _lines: dict[tuple[str, float, tuple[int, ...], str, tuple[int, ...]], list[_Lines]] = field(default_factory=dict)

    def all(self) -> tuple[ClothPiece, ...]:
        """Every piece, ply by ply from the skin out."""
        found: list[ClothPiece] = []
        for i in range(len(self.plies)):
            found += self._panels(i)
            found += self._let_in(i)
            found += self._modesty(i)
        return (*found, *self._facings(), *self._flap())

    def _piece(
        self,
        i: int,
        what: PieceWhat,
        label: str,
        lines: tuple[tuple[Point, ...], tuple[Point, ...]],
        count: int,
        *,
        panels: tuple[int, ...] = (),
        half: Literal["right", "left"] | None = None,
        mirrored: bool = True,
        note: str = "piece.mirrored",
        cloth: ClothName | None = None,
    ) -> ClothPiece:
        ply = self.plies[i]
        role = f"{i + 1} {ply.role}"
        return ClothPiece(
            key=" ".join(filter(None, (role, "" if what == "panel" or what in label else what, label, half or ""))),
            what=what,
            label=label,
            ply=i,
            cloth=cloth or ply.cloth,
            panels=panels,
            half=half,
            count=count,
            mirrored=mirrored and count > 1,
            outline=lines[0],
            stitch=lines[1],
            grain=ply.grain,
            tolerance_deg=self._tolerance(i),
            one_way=ply.one_way,
            note=message(note, count=count),
        )

    def _tolerance(self, i: int) -> float:
        if self.layers.plies[i].grain_free:
            return _FREE_DEG
        return self.practice.grain_strict_deg if self.plies[i].carries_n_per_m else self.practice.grain_free_deg

    def beside_panels(self) -> tuple[ClothPiece, ...]:
        """Every piece that is no panel: gussets, cups and shoulder pieces, the modesty panel, facings."""
        plies = range(len(self.plies))
        return (
            *(piece for i in plies for piece in (*self._let_in(i), *self._modesty(i))),
            *self._facings(),
            *self._flap(),
        )

    def _panels(self, i: int) -> list[ClothPiece]:
        ply = self.plies[i]
        right, left = self.halves
        halves: list[tuple[Sequence[LaidPanel], Literal["right", "left"] | None]] = [(right, None)]
        if left is not None:
            halves = [(right, "right"), (left, "left")]
        found = []
        for panels, half in halves:
            count, note = (2, "piece.mirrored") if half is None else (1, f"piece.{half}")
            if ply.mounted == "overlaid in one piece":
                for run in _runs(ply.panels):
                    lines = self._one_piece([panels[k - 1] for k in run], i)
                    label = f"{run[0]} to {run[-1]}" if len(run) > 1 else str(run[0])
                    found.append(self._piece(i, "overlay", label, lines, count, panels=run, half=half, note=note))
                continue
            for label, numbers, cut, stitch in self._cut(panels, i, half or ""):
                if all(number in ply.panels for number in numbers):
                    for part, lines in self._joined_of(i, numbers, (cut, stitch)):
                        name = f"{label} {part}".strip()
                        found.append(self._piece(i, "panel", name, lines, count, panels=numbers, half=half, note=note))
        return found

    def _joined_of(
        self, i: int, numbers: tuple[int, ...], lines: tuple[tuple[Point, ...], tuple[Point, ...]]
    ) -> list[tuple[str, tuple[tuple[Point, ...], tuple[Point, ...]]]]:
        """A panel as it is cut: in one, or in parts with joins across it, each with its allowance."""
        heights = [z for _, z in lines[1]]
        low, high = min(heights) + _LEAST_PART_MM, max(heights) - _LEAST_PART_MM
        at = sorted(
            {join.z_mm for join in self.layers.plies[i].joins if join.panel in numbers and low < join.z_mm < high}
        )
        if not at:
            return [("", lines)]
        names = ("lower", "upper") if len(at) == 1 else tuple(f"part {k + 1}" for k in range(len(at) + 1))
        found = []
        more = self.practice.join_allowance_mm
        for k, name in enumerate(names):
            bottom = at[k - 1] if k else -math.inf
            top = at[k] if k < len(at) else math.inf
            found.append((name, (_band(lines[0], bottom - more, top + more), _band(lines[1], bottom, top))))
        return found

    def _own(self, i: int) -> Allowances:
        """The allowances of a ply."""
        return self.layers.plies[i].allowances or self.allowances

    def _grown(self, i: int, allowances: Allowances) -> Allowances:
        """Allowances with what a ply is cut wider by (− narrower) at the seams where it is."""
        ply = self.plies[i]
        return _wider(allowances, ply.grows_edge_mm, ply.grows_at, len(self.halves[0]))

    def _cut(self, panels: Sequence[LaidPanel], i: int, half: str) -> list[_Lines]:
        """Every piece that the panels of a half are cut as."""
        allowances, ply = self._own(i), self.plies[i]
        over = ply.panels
        joined = tuple(seam for seam in self.joined if seam in over and seam + 1 in over)  # no further than it lies
        key = allowances.model_dump_json(), round(ply.grows_edge_mm, 2), ply.grows_at, half, joined
        if key not in self._lines:
            found = []
            count = len(panels)
            for panel in join_panels(tuple(panels), joined):
                last = panel.numbers[-1]
                cut = cut_line(panel.panel, count, self._grown(i, allowances), last).cut_line
                stitch = panel.panel.outline
                if ply.grows_at:
                    stitch = cut_line(panel.panel, count, self._grown(i, _NONE), last).cut_line
                found.append(_Lines("+".join(map(str, panel.numbers)), panel.numbers, cut, stitch))
            self._lines[key] = found
        return self._lines[key]

    def _one_piece(self, run: Sequence[LaidPanel], i: int) -> tuple[tuple[Point, ...], tuple[Point, ...]]:
        """Neighbouring panels edge to edge, closed at the waist, as one piece: what gapes is bridged."""
        allowances, ply = self._own(i), self.plies[i]
        top: list[Point] = []
        hem: list[Point] = []
        x = 0.0
        first, last = run[0], run[-1]
        edges: list[Array] = []
        for panel in run:
            at = panel.waist[0][0]
            shift = x - at
            top += [(px + shift, pz) for px, pz in panel.top]
            hem += [(px + shift, pz) for px, pz in panel.hem]
            edges += [np.array(edge) + np.array([shift, 0.0]) for edge in (panel.cf_edge, panel.cb_edge)]
            x += panel.waist[1][0] - at
        whole = first.model_copy(
            update={
                "cf_edge": _points(edges[0]),
                "cb_edge": _points(edges[-1]),
                "top": tuple(_rising(top)),
                "hem": tuple(_rising(hem)),
            }
        )
        count = len(self.halves[0])
        outline = (*whole.cf_edge, *whole.top[1:], *whole.cb_edge[::-1][1:], *whole.hem[::-1][1:-1])
        cut = cut_line(whole, count, self._grown(i, allowances), last.number).cut_line
        return cut, cut_line(whole, count, self._grown(i, _NONE), last.number).cut_line if ply.grows_at else outline

    def _let_in(self, i: int) -> list[ClothPiece]:
        """Gussets, cups and shoulder pieces of a ply, where it lies beside them; an overlay has none of its own."""
        ply = self.plies[i]
        if ply.mounted == "overlaid in one piece" or ply.role == "overlay":
            return []
        allowances = self._own(i)
        found = []
        for piece in self.pieces:
            if piece.panels and not set(piece.panels) <= set(ply.panels):
                continue
            what: PieceWhat = "gusset"
            if piece.name.startswith("cup"):
                what = "cup"
            elif "shoulder" in piece.name:
                what = "shoulder piece"
            lines = cut_piece(piece.outline, allowances.seams_mm), piece.outline
            found.append(self._piece(i, what, piece.name, lines, piece.cut))
        return found

    def _modesty(self, i: int) -> list[ClothPiece]:
        """The panel behind the gap: a back of the strength cloth, and a face of what lies outermost and innermost."""
        if self.modesty is None:
            return []
        faces = [k for k, ply in enumerate(self.plies) if ply.role in ("fashion", "lining")]
        wanted = {self.layers.carrying, *(faces[:1] + faces[-1:])}
        if i not in wanted:
            return []
        by = self.practice.modesty_allowance_mm
        lines = tuple(_box(self.modesty.width_mm + more, self.modesty.height_mm + more) for more in (2 * by, 0.0))
        cloth = self.modesty_cloth if i != self.layers.carrying else None  # its back stays firm
        two = lines[0], lines[1]
        return [self._piece(i, "modesty panel", "", two, 1, mirrored=False, note="piece.one", cloth=cloth)]

    def _flap(self) -> list[ClothPiece]:
        """Behind the opening: of what shows, folded double along its free edge, and caught along the other."""
        if self.flap_mm is None:
            return []
        wide, high = self.flap_mm
        by = self.practice.modesty_allowance_mm
        lines = _box(2 * wide + 2 * by, high + 2 * by), _box(2 * wide, high)
        return [self._piece(self._shown, "flap", "", lines, 1, mirrored=False, note="piece.flap", cloth=self.facing)]

    @property
    def _shown(self) -> int:
        """The ply that is seen, where nothing lies over the base."""
        return max((k for k, ply in enumerate(self.plies) if ply.role in ("fashion", "strength")), default=0)

    def _facings(self) -> list[ClothPiece]:
        """Behind what opens at CF: a strip of what shows, along the edge, with its turn-ins."""
        if not self.front_open:
            return []
        length = length_of(self.halves[0][0].cf_edge) + 2 * self.practice.binding_turn_mm
        strip = _box(self.practice.facing_mm, length)
        lines = strip, strip
        return [
            self._piece(self._shown, "facing", "CF", lines, 2, mirrored=False, note="piece.facing", cloth=self.facing)
        ]


def _wider(allowances: Allowances, by_mm: float, seams: Sequence[int], panels: int) -> Allowances:
    """Allowances with so much more at some seams: 0 is CF, the number of panels CB."""
    if not seams:
        return allowances
    return Allowances.model_construct(
        seams_mm=allowances.seams_mm,
        top_mm=allowances.top_mm,
        hem_mm=allowances.hem_mm,
        cf_mm=allowances.cf_mm + (by_mm if 0 in seams else 0.0),
        cb_mm=allowances.cb_mm + (by_mm if panels in seams else 0.0),
        by_seam={
            **allowances.by_seam,
            **{seam_label(seam): allowances.of_seam(seam) + by_mm for seam in seams if 0 < seam < panels},
        },
    )


def _runs(numbers: Sequence[int]) -> list[tuple[int, ...]]:
    """Neighbouring panels together.

    >>> _runs((1, 2, 3, 5))
    [(1, 2, 3), (5,)]
    """
    found: list[list[int]] = []
    for number in sorted(numbers):
        if found and found[-1][-1] == number - 1:
            found[-1].append(number)
        else:
            found.append([number])
    return [tuple(run) for run in found]


def _points(line: Array) -> tuple[Point, ...]:
    return tuple((float(x), float(z)) for x, z in line)


def _rising(line: Sequence[Point]) -> list[Point]:
    """A line from left to right: where neighbours overlap it goes on from where the further one ends."""
    points: list[Point] = []
    for x, z in line:
        if not points or x > points[-1][0] + 1e-6:
            points.append((x, z))
    return points


def _band(outline: Sequence[Point], low: float, high: float) -> tuple[Point, ...]:
    """What of an outline lies between two heights."""
    whole = Polygon(outline)
    left, bottom, right, top = whole.bounds
    band = box(left - 1, max(low, bottom - 1), right + 1, min(high, top + 1))
    parts = sorted(several(whole.intersection(band)).geoms, key=lambda part: -part.area)
    return tuple((float(x), float(z)) for x, z in parts[0].exterior.coords[:-1])


def _box(width_mm: float, height_mm: float) -> tuple[Point, ...]:
    x, z = width_mm / 2, height_mm / 2
    return ((-x, -z), (-x, z), (x, z), (x, -z))


def bias_turn(grain: Grain) -> float:
    """By how much a piece is turned on the cloth so that its grain runs along it, degrees anticlockwise."""
    return {"along": 0.0, "across": 90.0, "bias": 45.0}[grain]
