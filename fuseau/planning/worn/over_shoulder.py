"""What lies on a wearer's shoulders from several garments of hers, and where it overlaps (model, section 15)."""

import math
from collections.abc import Iterable, Iterator
from statistics import median

from fuseau.craft.base.findings import Change, Finding, finding, mend
from fuseau.craft.base.record import Record
from fuseau.craft.wearer.silhouette import half_width
from fuseau.document.build import Build

_SLOPE_DEG = 22.0  # of a shoulder: an estimate, not measured
_TO_COLLARBONE = 1.35  # collarbone over neck base, where it was not measured
_CLEAR_MM = 5.0
_SLIPS_MM = 150.0  # a strap further out than this slides off most shoulders


class OnShoulder(Record):
    """What a garment puts onto each shoulder: from and to how far out from the middle, mm, seen from the front.

    `collar`: a shoulder piece, or a collar without one, which lies round the neck only. `at` is the strap's field.
    """

    name: str
    from_mm: float
    to_mm: float
    collar: bool = False
    at: str = ""


def wearer_of(build: Build) -> str:
    """By what garments of one wearer are told: her name, as in the book; nothing where she has none."""
    return " ".join(build.wearer.name.casefold().split())


def on_shoulder(build: Build) -> tuple[OnShoulder, ...]:
    """What a garment puts onto the shoulders of its wearer, or round her neck."""
    if build.kind == "neck corset":
        neck = _neck_half_mm(build)
        if neck is None:
            return ()
        reach = build.practice.shoulder_width_mm * math.cos(math.radians(_SLOPE_DEG))
        out = reach if build.draft.shoulder_pieces else 0.0
        return (OnShoulder(name="shoulder piece" if out else "collar", from_mm=0.0, to_mm=neck + out, collar=True),)
    return tuple(
        OnShoulder(
            name=strap.name,
            from_mm=0.0 if strap.kind == "halter" else max(0.0, strap.shoulder_out_mm - strap.wide_mm / 2),
            to_mm=strap.wide_mm if strap.kind == "halter" else strap.shoulder_out_mm + strap.wide_mm / 2,
            at=f"trims.straps.{i}.{'kind' if strap.kind == 'halter' else 'shoulder_out_mm'}",
        )
        for i, strap in enumerate(build.trims.straps)
        if strap.kind != "off the shoulder"
    )


def _neck_half_mm(build: Build) -> float | None:
    """Half the width of her neck where a collar ends: at the collarbone."""
    bone, base = build.wearer.collarbone.readings_mm, build.wearer.neck_base.readings_mm
    if not bone and not base:
        return None
    girth = median(bone) if bone else median(base) * _TO_COLLARBONE
    return float(half_width(girth, build.zones["collarbone"].width_to_depth))


def overlaps(build: Build, others: Iterable[tuple[str, str, tuple[OnShoulder, ...]]]) -> Iterator[Finding]:
    """Where a strap of hers and a collar's shoulder piece lie on each other, from either garment.

    `others`: of every other garment its name, `wearer_of` and `on_shoulder`. That they are worn together is not known:
    it is advice.
    """
    wearer = wearer_of(build)
    if not wearer:
        return
    for mine in on_shoulder(build):
        for name, whose, lies in others:
            for theirs in lies if whose == wearer else ():
                lap = min(mine.to_mm, theirs.to_mm) - max(mine.from_mm, theirs.from_mm)
                if lap > 0 and mine.collar != theirs.collar:
                    yield _lies_on(mine, theirs, name, lap)


def _lies_on(mine: OnShoulder, theirs: OnShoulder, other: str, lap_mm: float) -> Finding:
    if mine.collar:
        return finding(
            "shoulder.collar",
            "pattern",
            "advice",
            at="draft.shoulder_pieces",
            where=mine.name,
            numbers={"lap_mm": lap_mm, "out_mm": mine.to_mm},
            strap=theirs.name,
            other=other,
        )
    strap, clear = mine, theirs.to_mm + _CLEAR_MM + (mine.to_mm - mine.from_mm) / 2
    moved = strap.at.endswith("shoulder_out_mm") and clear <= _SLIPS_MM
    return finding(
        "shoulder.strap",
        "trims",
        "advice",
        at=strap.at,
        where=strap.name,
        numbers={"lap_mm": lap_mm, "out_mm": theirs.to_mm, "wide_mm": mine.to_mm - mine.from_mm},
        piece=theirs.name,
        other=other,
        mend=mend("shoulder.strap.mend", Change(at=strap.at, value=float(math.ceil(clear))), out_mm=math.ceil(clear))
        if moved
        else None,
    )
