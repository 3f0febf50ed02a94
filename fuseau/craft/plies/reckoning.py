"""What the plies come to: where they lie, what they carry, weigh and cost, how thick they get (model, section 10)."""

import math
from collections.abc import Mapping, Sequence
from typing import Literal

import numpy as np

from fuseau.craft.base.curves import area_of, length_of
from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.materials.cloths import Cloth, ClothName, Grain, Role
from fuseau.craft.pattern.pattern import Allowances
from fuseau.craft.pattern.trueing import LaidPanel
from fuseau.craft.plies.layers import Layers, Mounted, Ply, thickness
from fuseau.craft.plies.methods import METHODS, Method, mounted, sewn_as_one


class PlyPlan(Record):
    """A ply as it will be made: over which panels, how mounted, and what follows.

    `grows_mm` is how much further it goes round than the strength ply (− is less far), `grows_edge_mm` what each edge
    is cut wider for it at the seams `grows_at` (0 is CF, the last CB): none, where it is too little to cut;
    `grows_all`: at every one. `carries_n_per_m` is the most that it carries anywhere, of the `holds_n_per_m` that it
    bears; None where it carries nothing.
    """

    role: Role
    cloth: ClothName
    label: str
    panels: tuple[int, ...]
    mounted: Mounted
    sewn_as_one: bool
    grain: Grain
    one_way: bool
    thickness_mm: float
    grows_mm: float
    grows_edge_mm: float
    grows_at: tuple[int, ...]
    grows_all: bool
    carries_n_per_m: float | None
    holds_n_per_m: float
    grams: float


class Lying(Record):
    """A ply as it is drawn in section: what it does, its cloth, mm; and where it lies.

    The `shell` is in the seams; what lies `over` it in one piece, and what hangs `inside`, is not.
    """

    role: Role
    label: str
    mm: float
    where: Literal["over", "shell", "inside"]

    @property
    def turned_back(self) -> bool:
        """Whether it is folded back with the lacing edge: the shell is, but a lining is cut to the fold."""
        return self.where == "shell" and self.role != "lining"


class Thick(Record):
    """How thick cloth gets in a place, plies and mm, of the most that a tool takes there."""

    plies: int
    mm: float
    most_mm: float


def middles(thicknesses: Sequence[float], carrying: int) -> tuple[float, ...]:
    """How far the middle of each ply lies outside that of the strength ply, mm (− is inside).

    >>> [round(d, 3) for d in middles((0.25, 0.55, 0.35), 1)]
    [-0.4, 0.0, 0.45]
    """
    outer = np.cumsum(thicknesses)
    centres = outer - np.array(thicknesses) / 2
    return tuple(float(centre) for centre in centres - centres[carrying])


def growth(distance_mm: float) -> float:
    """How much further round a ply goes that lies so far outside, mm: 2π·distance (model, section 10).

    >>> round(growth(0.45), 2)
    2.83
    """
    return 2 * math.pi * distance_mm


def cut_growth(half_mm: float, edges: Sequence[tuple[int, int]], least_mm: float) -> tuple[float, tuple[int, ...]]:
    """What a half grows by as it is cut: so much on each edge, and at which seams; on as many as shears still cut.

    `edges` are the seams with how many edges of the ply meet there, those that are wanted most first. On every edge
    where that is `least_mm` or more; else on the first so many; nowhere where the first would take less.

    >>> cut_growth(2.4, ((2, 2), (1, 2), (0, 1), (3, 1)), 0.5)
    (0.6, (1, 2))
    >>> cut_growth(-0.9, ((2, 2), (1, 2), (0, 1), (3, 1)), 0.5)
    (0.0, ())
    """
    most = int(abs(half_mm) / least_mm + 1e-9)
    taken: list[int] = []
    count = 0
    for seam, there in edges:
        if count + there > most:
            break
        taken.append(seam)
        count += there
    return (half_mm / count, tuple(sorted(taken))) if taken else (0.0, ())


def _edges_cut(ply: Ply, how: Mounted, panels: int, joined: Sequence[int], side_seam: int) -> list[tuple[int, int]]:
    """Seams of a half at which a ply has cut edges, with how many: the nearest to the side first, CF and CB last."""
    there = []
    for seam in range(panels + 1):
        beside = [panel for panel in (seam, seam + 1) if 1 <= panel <= panels and ply.over(panel)]
        as_one = len(beside) == 2 and (how == "overlaid in one piece" or seam in joined)
        if beside and not as_one:
            there.append((seam, len(beside)))
    return sorted(there, key=lambda edge: (edge[0] in (0, panels), abs(edge[0] - side_seam), edge[0]))


def shares(stiffness: Sequence[float], together: Sequence[bool]) -> tuple[float, ...]:
    """What part of the pull each ply carries: those that are sewn as one stretch alike, so as they are stiff."""
    whole = sum(one for one, sewn in zip(stiffness, together, strict=True) if sewn)
    return tuple(one / whole if sewn else 0.0 for one, sewn in zip(stiffness, together, strict=True))


def tape_share(cloth_kn_per_m: float, practice: Practice) -> float:
    """What part of the pull at the waist a waist tape takes, of a band of cloth as high as it draws with it."""
    band = cloth_kn_per_m * practice.tape_band_mm / 1000
    return practice.waist_tape_kn / (practice.waist_tape_kn + band)


def _cut_areas(
    halves: tuple[Sequence[LaidPanel], Sequence[LaidPanel]], allowances: Allowances
) -> list[tuple[int, float]]:
    """Every panel of both halves, by its number, and about its area as cut, with its allowances, mm²."""
    right, left = halves
    one = _areas(right, allowances)
    return [*one, *(one if left is right else _areas(left, allowances))]


def _areas(panels: Sequence[LaidPanel], allowances: Allowances) -> list[tuple[int, float]]:
    found = []
    for panel in panels:
        sewn = area_of(panel.outline)
        edges = (
            (panel.cf_edge, allowances.cf_mm if panel.number == 1 else allowances.of_seam(panel.number - 1)),
            (panel.cb_edge, allowances.cb_mm if panel.number == len(panels) else allowances.of_seam(panel.number)),
            (panel.top, allowances.top_mm),
            (panel.hem, allowances.hem_mm),
        )
        found.append((panel.number, sewn + sum(length_of(edge) * by for edge, by in edges if by)))
    return found


def reckon(
    layers: Layers,
    cloths: Mapping[ClothName, Cloth],
    halves: tuple[Sequence[LaidPanel], Sequence[LaidPanel]],
    allowances: Allowances,
    tensions_n_per_m: Mapping[str, float],
    practice: Practice,
    *,
    taped: bool,
    side_seam: int,
    joined: Sequence[int] = (),
) -> tuple[PlyPlan, ...]:
    """Every ply from the skin out. `tensions_n_per_m` by level; where the waist is `taped` its tape carries a share.

    `joined` seams are not cut; what a ply grows by is cut at the `side_seam` first.
    """
    how, n = mounted(layers, cloths), len(halves[0])
    together = sewn_as_one(how)
    off = middles([thickness(ply, cloths) for ply in layers.plies], layers.carrying)
    stiff = [cloths[ply.cloth].stiffness_kn_per_m for ply in layers.plies]
    part = shares(stiff, together)
    tape = tape_share(sum(k for k, sewn in zip(stiff, together, strict=True) if sewn), practice) if taped else 0.0
    carried = max(
        (pull * (1 - tape if name == "waist" else 1.0) for name, pull in tensions_n_per_m.items()), default=0.0
    )
    usual = _cut_areas(halves, allowances)
    found = []
    for i, ply in enumerate(layers.plies):
        cloth = cloths[ply.cloth]
        own = usual if ply.allowances is None else _cut_areas(halves, ply.allowances)
        cut = sum(area for number, area in own if ply.over(number))
        grows = growth(off[i]) * ply.covers(n)
        edges = _edges_cut(ply, how[i], n, joined, side_seam)
        edge_mm, at = cut_growth(grows / 2, edges, practice.growth_matters_mm)
        if grows < 0 and len(at) < len(edges):  # what lies inside and is a little wide lies in folds that nobody feels
            edge_mm, at = 0.0, ()
        found.append(
            PlyPlan(
                role=ply.role,
                cloth=ply.cloth,
                label=cloth.label,
                panels=tuple(panel.number for panel in halves[0] if ply.over(panel.number)),
                mounted=how[i],
                sewn_as_one=together[i],
                grain=ply.grain,
                one_way=cloth.one_way,
                thickness_mm=thickness(ply, cloths),
                grows_mm=grows,
                grows_edge_mm=edge_mm,
                grows_at=at,
                grows_all=len(at) == len(edges),
                carries_n_per_m=part[i] * carried if together[i] else None,
                holds_n_per_m=cloth.holds_n_per_m,
                grams=cut * cloth.mass_g_m2 / 1e6,
            )
        )
    return tuple(found)


def at_seam(
    layers: Layers,
    cloths: Mapping[ClothName, Cloth],
    practice: Practice,
    method: Method | None = None,
    tape_mm: float = 0.0,
) -> Thick:
    """What the machine sews through at the thickest of a seam, with a channel's tape over it.

    Opened: every ply in the seam and its allowance. Turned: every ply of both panels in one seam. Lapped: twice each.
    """
    by = method or METHODS[layers.method]
    there = [ply for ply in lying(layers, cloths, by) if ply.where != "over"]
    shell = [ply.mm for ply in there if ply.where == "shell"]
    plies, times = {"opened": (shell, 2), "turned": ([ply.mm for ply in there], 2), "lapped": (shell, 4)}[by.seam]
    return Thick(
        plies=times * len(plies) + (tape_mm > 0),
        mm=times * sum(plies) + tape_mm,
        most_mm=practice.machine_mm,
    )


def lying(
    layers: Layers, cloths: Mapping[ClothName, Cloth], method: Method | None = None, panel: int | None = None
) -> tuple[Lying, ...]:
    """The plies from the outside inward, as drawn in section: of one panel, or every one where none is named."""
    how = mounted(layers, cloths, method or METHODS[layers.method])
    return tuple(
        Lying(
            role=ply.role,
            label=cloths[ply.cloth].label,
            mm=thickness(ply, cloths),
            where="over" if one == "overlaid in one piece" else "inside" if one in _APART else "shell",
        )
        for ply, one in reversed(list(zip(layers.plies, how, strict=True)))
        if panel is None or ply.over(panel)
    )


def at_hole(
    layers: Layers, cloths: Mapping[ClothName, Cloth], grip_mm: float, panel: int, method: Method | None = None
) -> Thick:
    """What a grommet goes through in its panel: what is turned back at the edge twice, the rest once."""
    each = [(2 if ply.turned_back else 1, ply.mm) for ply in lying(layers, cloths, method, panel)]
    return Thick(plies=sum(times for times, _ in each), mm=sum(times * mm for times, mm in each), most_mm=grip_mm)


_APART = ("floating", "bagged")  # plies with seams of their own
