"""Cutting bones: from the shelf and from what is sold, exactly (model, section 7)."""

import math
from collections import Counter, defaultdict
from collections.abc import Mapping, Sequence
from typing import Literal

from fuseau.craft.base.practice import Practice
from fuseau.craft.base.record import Record
from fuseau.craft.boning.arc_flow import ArcFlow, SolvedFlow
from fuseau.craft.materials.catalogue import BoneKind, BoneName

_TENTH = 10  # lengths are counted in tenths of a millimetre, so that inches come out even


class Wanted(Record):
    """A bone to cut: its label, and how long, mm."""

    label: str
    length_mm: float


class CutPiece(Record):
    """A piece and the bones cut from it, longest first; what is left of it, mm."""

    source: Literal["shelf", "bought", "coil"]
    length_mm: float
    bones: tuple[Wanted, ...]
    rest_mm: float


class CuttingPlan(Record):
    """How the bones of one kind are cut: the pieces, what is bought, what is left, and what can't be had.

    `proven`: nothing with fewer pieces bought, or as few and less waste, is possible. `coil_mm` is how much of a coil
    is bought. `ends` are cut ends to close.
    """

    kind: BoneName
    label: str
    pieces: tuple[CutPiece, ...]
    bought_mm: dict[str, int]
    coil_mm: float
    waste_mm: float
    proven: bool
    unmet: tuple[Wanted, ...]
    ends: int
    price: float


def plan_cutting(
    kind: BoneKind, wanted: Sequence[Wanted], shelf: Mapping[float, int], practice: Practice
) -> CuttingPlan:
    """The best way to cut bones of one kind from the shelf (length → how many) and from what is sold.

    What is sold ready-cut is not cut: each bone is one piece of its own length. Bones longer than any piece are
    `unmet`.
    """
    if kind.sold == "ready-cut":
        return _ready_cut(kind, wanted, shelf)
    longest = max([*shelf, *(kind.lengths_mm if kind.sold == "lengths" else ()), 0.0])
    if kind.sold == "coil":
        longest = math.inf
    unmet = tuple(one for one in wanted if one.length_mm > longest)
    cut = [one for one in wanted if one.length_mm <= longest]
    if not cut:
        return _told(kind, (), 0.0, True, unmet, practice)
    sold = [_units(length) for length in kind.lengths_mm] if kind.sold == "lengths" else []
    own = Counter[int]()
    for length, count in shelf.items():
        own[_units(length)] += count
    solved = ArcFlow(Counter(_units(one.length_mm) for one in cut), sold, own, coil=kind.sold == "coil").solve()
    pieces, coil = _named(solved, cut)
    return _told(kind, pieces, coil, solved.proven, unmet, practice)


def _units(length_mm: float) -> int:
    return round(length_mm * _TENTH)


def _named(solved: SolvedFlow, wanted: Sequence[Wanted]) -> tuple[tuple[CutPiece, ...], float]:
    """The pieces with the labels of their bones; equal bones are handed out in the order of the garment."""
    by_length = defaultdict(list)
    for one in wanted:
        by_length[_units(one.length_mm)].append(one)
    found = []
    for source, length, bones in sorted(solved.pieces, key=lambda piece: (piece[0] == "bought", -piece[1])):
        cut = tuple(by_length[bone].pop(0) for bone in bones)
        found.append(
            CutPiece(
                source="shelf" if source == "shelf" else "bought",
                length_mm=length / _TENTH,
                bones=cut,
                rest_mm=(length - sum(bones)) / _TENTH,
            )
        )
    coil = sum(solved.coil) / _TENTH
    if solved.coil:
        cut = tuple(by_length[bone].pop(0) for bone in sorted(solved.coil, reverse=True))
        found.append(CutPiece(source="coil", length_mm=coil, bones=cut, rest_mm=0.0))
    return tuple(found), coil


def _ready_cut(kind: BoneKind, wanted: Sequence[Wanted], shelf: Mapping[float, int]) -> CuttingPlan:
    left = dict(shelf)
    pieces, unmet = [], []
    for one in wanted:
        if left.get(one.length_mm, 0) > 0:
            left[one.length_mm] -= 1
            pieces.append(CutPiece(source="shelf", length_mm=one.length_mm, bones=(one,), rest_mm=0))
        elif one.length_mm in kind.lengths_mm:
            pieces.append(CutPiece(source="bought", length_mm=one.length_mm, bones=(one,), rest_mm=0))
        else:
            unmet.append(one)
    bought = Counter(f"{piece.length_mm:g}" for piece in pieces if piece.source == "bought")
    return CuttingPlan(
        kind=kind.name,
        label=kind.label,
        pieces=tuple(pieces),
        bought_mm=dict(bought),
        coil_mm=0.0,
        waste_mm=0.0,
        proven=True,
        unmet=tuple(unmet),
        ends=0,
        price=sum(bought.values()) * kind.price_each,
    )


def _told(
    kind: BoneKind,
    pieces: tuple[CutPiece, ...],
    coil_mm: float,
    proven: bool,
    unmet: tuple[Wanted, ...],
    practice: Practice,
) -> CuttingPlan:
    bought = Counter(f"{piece.length_mm:g}" for piece in pieces if piece.source == "bought")
    bones = sum(len(piece.bones) for piece in pieces)
    step = practice.coil_step_mm
    coil = math.ceil(round(coil_mm / step, 6)) * step
    metres = (coil + sum(float(length) * count for length, count in bought.items())) / 1000
    return CuttingPlan(
        kind=kind.name,
        label=kind.label,
        pieces=pieces,
        bought_mm=dict(bought),
        coil_mm=coil,
        waste_mm=sum(piece.rest_mm for piece in pieces) + (coil - coil_mm),
        proven=proven,
        unmet=unmet,
        ends=2 * bones,
        price=metres * kind.price_per_m + bones * kind.price_each,
    )
