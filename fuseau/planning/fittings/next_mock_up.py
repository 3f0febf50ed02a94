"""What the next mock-up has to be, to tell what is still unknown; what it can do without; how it will differ."""

from fuseau.craft.base.findings import Change, Message, message
from fuseau.craft.base.record import Record
from fuseau.craft.fit.fit import Fit
from fuseau.craft.pattern.alterations import Alteration
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.wearer.body import Body
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.craft.wearer.measures import ZERO_LABELS
from fuseau.document.build import Build

_STIFF_SHARE = 0.5  # a mock-up cloth less stiff than this share of the final one tells little of its stretch


class Part(Record):
    """One part of a mock-up: what it is to be, why, and what makes it so where it is not yet."""

    part: str
    what: Message
    why: Message
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
    leave_out: tuple[Message, ...]
    look_at: tuple[Message, ...]
    differs: Differs


def plan_mock_up(build: Build, body: Body, mock_up: Fit, final: Fit, proposed: Alteration | None = None) -> MockUpPlan:
    """What the next trying-on needs, from what is believed of the wearer and what the garment will be.

    `proposed` is the change of the version that is tried on next; None tries the present one.
    """
    tied = GARMENT_KINDS[build.kind].tied
    return MockUpPlan(
        parts=tuple(_parts(build, mock_up, tied)),
        leave_out=tuple(_leave_out(build)),
        look_at=(*_places(build, body, proposed), *_look_at(build, body, final)),
        differs=Differs(
            take_up_mm=final.take_up_mm - mock_up.take_up_mm,
            stretch_mm=mock_up.stretch_mm - final.stretch_mm,
            bow_mm=mock_up.shape.bow_mm - final.shape.bow_mm,
            gap_mm=mock_up.shape.mean_mm - final.shape.mean_mm,
        ),
    )


def _parts(build: Build, mock_up: Fit, tied: bool) -> list[Part]:
    return [_cloth(build), _bones(build, mock_up, tied), _closing(build, tied)]


def _cloth(build: Build) -> Part:
    cloth, wanted = build.mock_up_stack.cloth, build.stack.cloth
    soft = cloth.stiffness_kn_per_m < _STIFF_SHARE * wanted.stiffness_kn_per_m
    if not soft or not build.fittings:
        return Part(part="Cloth", what=message("part.cloth", cloth=cloth.label), why=message("part.cloth.why"))
    return Part(
        part="Cloth",
        what=message("part.final_cloth", cloth=wanted.label),
        why=message("part.final_cloth.why", cloth=cloth.label),
        changes=(Change(at="mock_up.stack.strength", value=build.stack.strength),),
    )


def _bones(build: Build, mock_up: Fit, tied: bool) -> Part:
    made, kinds, bow = build.mock_up, build.bone_kinds, abs(mock_up.shape.bow_mm)
    steel = bool(build.fittings) and not tied and bow > build.practice.parallel_mm
    edge = kinds["flat_12"] if steel else kinds[made.edge_bone]
    why = message("part.bones.why")
    if steel:
        why = message("part.steel.why", bone=kinds[made.edge_bone].label, bow_mm=bow)
    everywhere = edge.name == "cable_tie_8"
    return Part(
        part="Bones",
        what=message("part.bones_everywhere" if everywhere else "part.bones_at_edge", bone=edge.label),
        why=why,
        changes=_unless(made.edge_bone == edge.name and made.boned, ("edge_bone", edge.name), ("boned", True)),
    )


def _closing(build: Build, tied: bool) -> Part:
    made = build.mock_up
    if tied and build.back.laced:
        return Part(part="Closing", what=message("part.pinned"), why=message("part.pinned.why"))
    if not build.back.laced:
        pinned = _unless(made.closing == "pinned", ("closing", "pinned"), ("strip", False))
        return Part(
            part="Closing", what=message("part.pinned_shut"), why=message("part.pinned_shut.why"), changes=pinned
        )
    return Part(
        part="Closing",
        what=message("part.laced"),
        why=message("part.laced.why"),
        changes=_unless(made.closing == "laced" and made.strip, ("closing", "laced"), ("strip", True)),
    )


def _unless(so: bool, *wanted: tuple[str, object]) -> tuple[Change, ...]:
    return () if so else tuple(Change(at=f"mock_up.{field}", value=value) for field, value in wanted)


def _leave_out(build: Build) -> list[Message]:
    messages = [message("leave_out.plies"), message("leave_out.binding")]
    if build.front.opening == "busk":
        messages.append(message("leave_out.busk"))
    if build.draft.cups and not build.fittings:
        messages.append(message("leave_out.wires"))
    return messages


def _places(build: Build, body: Body, proposed: Alteration | None) -> list[Message]:
    """The places that the version changed which is tried on next: whether what was seen there is mended."""
    current = build.current
    made = proposed or (current.alteration if current else None)
    if made is None or current is None:
        return []
    return [
        message(
            "look_at.place.in" if place.amount_mm < 0 else "look_at.place.out",
            seam=seam_label(place.seam),
            low_mm=place.ends(current.pattern)[0],
            high_mm=place.ends(current.pattern)[1],
            by_mm=abs(place.amount_mm),
            zero=ZERO_LABELS[body.zero],
        )
        for place in made.places
    ]


def _look_at(build: Build, body: Body, final: Fit) -> list[Message]:
    """The level that is known worst, and what the plan leaves in doubt."""
    covered = {level.name for level in final.levels if level.gap_mm is not None}
    known = sorted((one for one in body if one.name in covered), key=lambda one: -one.spread_mm)
    messages = []
    if known:
        code = "look_at.level" if build.back.laced else "look_at.level.shut"
        messages.append(message(code, level=known[0].name, spread_mm=known[0].spread_mm))
    if not build.back.laced:
        messages.append(message("look_at.pins"))
    elif not GARMENT_KINDS[build.kind].tied and build.mock_up.closing == "laced":
        messages.append(message("look_at.two_pulls"))
    if build.brief.movement:
        messages.append(message("look_at.movement", movement=" and ".join(build.brief.movement)))
    if build.brief.alone:
        messages.append(message("look_at.alone"))
    return messages
