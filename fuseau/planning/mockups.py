"""What the next mock-up has to be, to tell what is still unknown; what it can do without; how it will differ."""

from fuseau.craft.base.findings import Change
from fuseau.craft.base.lengths import Unit, format_length
from fuseau.craft.base.record import Record
from fuseau.craft.fit.fit import Fit
from fuseau.craft.materials.catalogue import CLOTHS, ClothName
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import KINDS
from fuseau.craft.wearer.measures import LEVEL_LABELS
from fuseau.document.build import Build

_STIFF_SHARE = 0.5  # a mock-up cloth less stiff than this share of the final one tells little of its stretch


class Part(Record):
    """One part of a mock-up: what it is to be, why, and what makes it so where it is not yet."""

    part: str
    what: str
    why: str
    changes: tuple[Change, ...] = ()


class Differs(Record):
    """How the mock-up will differ from the final garment, mm of girth; `bow_mm` of the gap."""

    take_up_mm: float
    stretch_mm: float
    bow_mm: float
    gap_mm: float


class MockUpPlan(Record):
    """The next mock-up: its parts, what may be left out, where to look, and how it will differ from the final."""

    parts: tuple[Part, ...]
    leave_out: tuple[str, ...]
    look_at: tuple[str, ...]
    differs: Differs


def plan_mock_up(build: Build, body: Body, mock_up: Fit, final: Fit, unit: Unit) -> MockUpPlan:
    """What the next trying-on needs, from what is believed of the wearer and what the garment will be."""
    tied = KINDS[build.kind].tied
    return MockUpPlan(
        parts=tuple(_parts(build, mock_up, final, unit, tied)),
        leave_out=tuple(_leave_out(build)),
        look_at=tuple(_look_at(build, body, final, unit)),
        differs=Differs(
            take_up_mm=final.take_up_mm - mock_up.take_up_mm,
            stretch_mm=mock_up.stretch_mm - final.stretch_mm,
            bow_mm=mock_up.shape.bow_mm - final.shape.bow_mm,
            gap_mm=mock_up.shape.mean_mm - final.shape.mean_mm,
        ),
    )


def _parts(build: Build, mock_up: Fit, final: Fit, unit: Unit, tied: bool) -> list[Part]:
    made, parts = build.mock_up, []
    cloth, wanted = CLOTHS[made.stack.strength], CLOTHS[build.layers.strength]
    soft = cloth.stiffness_kn_per_m < _STIFF_SHARE * wanted.stiffness_kn_per_m
    late = len(build.fittings) >= 1
    better: ClothName = build.layers.strength
    if soft and late:
        parts.append(
            Part(
                part="Cloth",
                what=f"{wanted.label}, the final strength layer",
                why=f"what is left to learn is how the real cloth stretches: {cloth.label} is much softer",
                changes=(Change(at="mock_up.stack.strength", value=better),),
            )
        )
    else:
        parts.append(
            Part(
                part="Cloth", what=cloth.label, why="firm and cheap: the first changes are of centimetres, not of weave"
            )
        )
    steel = late and not tied and abs(mock_up.shape.bow_mm) > build.practice.parallel_mm
    kinds = build.bone_kinds
    edge = kinds["flat_12"] if steel else kinds[made.edge_bone]
    bow = format_length(abs(mock_up.shape.bow_mm), unit, hardware=True)
    parts.append(
        Part(
            part="Bones",
            what=f"{edge.label} in all channels"
            if edge.name == "cable_tie_8"
            else f"{edge.label} at the lacing edge, cable ties in the other channels",
            why=f"with {kinds[made.edge_bone].label} the gap would bow {bow} and hide what her girths do"
            if steel
            else "without bones the cloth wrinkles, and what is read counts half",
            changes=_unless(made.edge_bone == edge.name and made.boned, ("edge_bone", edge.name), ("boned", True)),
        )
    )
    if tied:
        parts.append(Part(part="Closing", what="pinned at its gap", why="a collar is tied, not drawn in"))
    else:
        parts.append(
            Part(
                part="Closing",
                what="laced, through a strip with grommets that is basted on",
                why="pinned shut it would tell nothing of pull and gap; the strip goes from mock-up to mock-up",
                changes=_unless(made.closing == "laced" and made.strip, ("closing", "laced"), ("strip", True)),
            )
        )
    return parts


def _unless(so: bool, *wanted: tuple[str, object]) -> tuple[Change, ...]:
    return () if so else tuple(Change(at=f"mock_up.{field}", value=value) for field, value in wanted)


def _leave_out(build: Build) -> list[str]:
    found = ["fashion layer and lining", "binding at top line and hem"]
    if build.front.opening == "busk":
        found.append("busk: baste CF shut")
    if build.draft.cups and not build.fittings:
        found.append("wires in the cups")
    return found


def _look_at(build: Build, body: Body, final: Fit, unit: Unit) -> list[str]:
    """The level that is known worst, and what the plan leaves in doubt."""
    covered = {level.name for level in final.levels if level.gap_mm is not None}
    known = sorted((one for one in body if one.name in covered), key=lambda one: -one.spread_mm)
    found = []
    if known:
        one = known[0]
        found.append(
            f"{LEVEL_LABELS[one.name]}: known to ± {format_length(one.spread_mm, unit)} only. Read the gap there and "
            "tape a girth over it."
        )
    if build.brief.movement:
        found.append(f"Have her {' and '.join(build.brief.movement)} in it.")
    if build.brief.alone:
        found.append("Have her get in and out alone.")
    return found
