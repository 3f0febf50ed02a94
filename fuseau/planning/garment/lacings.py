"""A pattern made up and laced: as the final garment, or as a mock-up; and how stiff its lacing edge is."""

from fuseau.craft.boning.bones import edge_bones, edge_stiffness, lacing_edge_layout
from fuseau.craft.fit.fit import Lacing
from fuseau.craft.fit.target import Aim, pull_of
from fuseau.craft.materials.catalogue import GROMMETS, BoneName
from fuseau.craft.pattern.pattern import Pattern
from fuseau.craft.wearer.garment_kinds import GARMENT_KINDS
from fuseau.document.build import Build


def edge_of(build: Build, bone: BoneName) -> float:
    """Stiffness of one lacing edge with one kind of bone in both channels, N·m²."""
    wrapping = build.stack.total_mm - build.stack.lining_mm
    return edge_stiffness(build.bone_kinds[bone], GROMMETS[build.back.holes].flange_mm, wrapping, build.practice)


def final_edge(build: Build) -> float:
    """Stiffness of one lacing edge with the bones that are chosen for it, N·m²."""
    wrapping = build.stack.total_mm - build.stack.lining_mm
    outer, inner, counts = edge_bones(build.bones, build.bone_kinds)
    return edge_stiffness(outer, GROMMETS[build.back.holes].flange_mm, wrapping, build.practice, inner, counts)


def final_lacing(build: Build, pattern: Pattern, aimed: Aim) -> Lacing:
    """A pattern in its final layers and bones, pulled as the aim needs."""
    return Lacing(
        pattern=pattern,
        stack=build.stack,
        edge_n_m2=final_edge(build),
        pull_n_per_m=aimed.pull_n_per_m,
        practice=build.practice,
        tied_mm=_tied(build),
        shut=not build.back.laced,
        padding=build.padding(build.pads),
    )


def edge_needs_mm(build: Build) -> float:
    """How wide the last panel has to be for the bones and holes of a lacing edge; 0 without one."""
    if not build.back.laced:
        return 0.0
    wrapping = build.stack.total_mm - build.stack.lining_mm
    outer, inner, counts = edge_bones(build.bones, build.bone_kinds)
    flange = GROMMETS[build.back.holes].flange_mm
    return lacing_edge_layout(outer, flange, wrapping, build.practice, inner, counts).needs_mm


def mock_up_lacing(build: Build, pattern: Pattern) -> Lacing:
    """A pattern as a mock-up, in its cloth and bones, pulled as the maker says; pinned where it will have no lace.

    Without bones, or pinned, its edges are as soft as they are when it is tried on so (see `observations`).
    """
    tied, made = GARMENT_KINDS[build.kind].tied, build.mock_up
    pinned = not tied and (not build.back.laced or made.closing == "pinned")
    boned = build.back.laced and made.boned and not pinned
    return Lacing(
        pattern=pattern,
        stack=build.mock_up_stack,
        edge_n_m2=edge_of(build, made.edge_bone) if boned else build.practice.bare_edge_n_m2,
        pull_n_per_m=0.0 if tied else pull_of(build.target.pull, build.target.job, build.practice),
        practice=build.practice,
        tied_mm=_tied(build),
        pinned=pinned,
        padding=build.padding(build.pads),
    )


def _tied(build: Build) -> float | None:
    return build.gap_mm if GARMENT_KINDS[build.kind].tied else None
