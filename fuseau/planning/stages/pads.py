"""Padding worn under the garment: how it is made, cut and told (model, section 17)."""

from collections.abc import Iterator

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.findings import Finding, finding, message
from fuseau.craft.layout.pieces import ClothPiece
from fuseau.craft.making.made_up import PadWork
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.measures import SEEN_LABELS
from fuseau.craft.wearer.pads import PadMade, check_pads, make_pad
from fuseau.document.build import Build
from fuseau.planning.plan import Plan

_MOST_LAYERS = 14


def made_pads(build: Build, body: Body) -> tuple[PadMade, ...]:
    """Every pad at a level that the garment's kind knows, as it is cut.

    Raises Unmakeable at the field of one that lies where she is laced, or where another does, or that would be of more
    layers than anybody glues.
    """
    check_pads(build.pads, body)
    found = []
    for i, pad in enumerate(build.pads):
        sheet = build.cloths[pad.cloth].thickness_mm
        if pad.thick_mm / sheet > _MOST_LAYERS:
            raise Unmakeable(f"pads.{i}.cloth", "pads.thin", layers=pad.thick_mm / sheet)
        made = make_pad(pad, body, sheet, build.practice.pad_gives_share)
        found += [made] if made else []
    return tuple(found)


def check_padding(build: Build, body: Body, top_mm: float, hem_mm: float) -> Iterator[Finding]:
    """Pads at levels that the garment does not cover at the side, or does not know at all."""
    known = {level.name: level for level in body}
    for i, pad in enumerate(build.pads):
        if pad.level == "shoulders":
            continue
        level = known.get(pad.level)
        where = SEEN_LABELS[pad.level]
        if level is None:
            yield finding("pads.unknown", "brief", "advice", at=f"pads.{i}.level", where=where)
        elif not hem_mm <= level.side_mm <= top_mm:
            yield finding("pads.outside", "brief", "advice", at=f"pads.{i}.level", where=where, level=pad.level)


def pad_pieces(build: Build, planned: Plan) -> tuple[ClothPiece, ...]:
    """The layers of pads as pieces for the table."""
    return tuple(
        ClothPiece(
            key=f"pad {i + 1} {k + 1}",
            what="pad",
            label=f"{pad.name}, layer {k + 1}",
            ply=build.layers.carrying,
            cloth=pad.cloth,
            panels=(),
            half=None,
            count=pad.count,
            mirrored=False,
            outline=layer.outline,
            stitch=layer.outline,
            grain="along",
            tolerance_deg=180.0,
            one_way=False,
            note=message("piece.pad", name=pad.name),
        )
        for i, pad in enumerate(planned.pads)
        for k, layer in enumerate(pad.layers)
    )


def pad_works(build: Build, planned: Plan) -> tuple[PadWork, ...]:
    """Pads as they are made."""
    return tuple(
        PadWork(
            key=f"pad {pad.level} {pad.place}".replace("_", " "),
            name=pad.name,
            count=pad.count,
            layers=len(pad.layers),
            cloth=pad.cloth,
            label=build.cloths[pad.cloth].label,
            under=pad.level != "shoulders",
            materials=(
                message(
                    "step.material.pad",
                    count=float(pad.count),
                    layers=float(len(pad.layers)),
                    width_mm=pad.wide_mm,
                    height_mm=pad.high_mm,
                    thick_mm=pad.thick_mm,
                ),
            ),
        )
        for pad in planned.pads
    )
