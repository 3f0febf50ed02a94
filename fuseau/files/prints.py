"""Everything that can be printed of a build, by name. Heavy libraries are imported for the print that needs them."""

from typing import Literal

from fuseau.craft.base.errors import Unmakeable
from fuseau.craft.base.lengths import Unit
from fuseau.document.build import Build
from fuseau.files.paper import Paper
from fuseau.planning.plan import Plan
from fuseau.planning.workshop.shopping import Shopping

Print = Literal[
    "pattern.pdf",
    "pattern.svg",
    "pattern.dxf",
    "plies.pdf",
    "plies.svg",
    "plies.dxf",
    "list.pdf",
    "bones.pdf",
    "mock-up-bones.pdf",
    "front.pdf",
    "holes.pdf",
    "letter.pdf",
    "on-her.pdf",
    "fitting.pdf",
    "large.pdf",
    "projector.pdf",
]


def print_of(
    what: Print,
    build: Build,
    planned: Plan,
    paper: Paper,
    unit: Unit,
    roll_mm: int = 914,
    takes: Shopping | None = None,
) -> bytes:
    """The bytes of a print. Raises Unmakeable while there is no pattern, or nothing of its kind, to print."""
    if what == "letter.pdf":
        from fuseau.files.letter import letter_pdf

        return letter_pdf(build, paper)
    if what == "on-her.pdf":
        from fuseau.files.on_body_page import on_her_pdf
        from fuseau.planning.worn.on_body import inputs_of, on_body

        worn = inputs_of(build, planned)
        if worn is None:
            raise Unmakeable("wearer", "on_body.unmeasured")
        return on_her_pdf(build, on_body(worn), paper, unit)
    if planned.pattern is None:
        raise Unmakeable("wearer", "print.measures_first")
    match what:
        case "pattern.pdf":
            from fuseau.files.tiles import pattern_pdf

            return pattern_pdf(build, planned, paper, unit)
        case "large.pdf" | "projector.pdf":
            from fuseau.files.large import large_pdf

            return large_pdf(build, planned, roll_mm, unit, layers=what == "projector.pdf")
        case "pattern.svg":
            from fuseau.files.svg import pattern_svg

            return pattern_svg(build, planned).encode()
        case "pattern.dxf":
            from fuseau.files.dxf import pattern_dxf

            return pattern_dxf(build, planned)
        case "plies.pdf":
            from fuseau.files.tiles import plies_pdf

            return plies_pdf(build, planned, paper, unit)
        case "plies.svg":
            from fuseau.files.svg import plies_svg

            return plies_svg(build, planned).encode()
        case "plies.dxf":
            from fuseau.files.dxf import plies_dxf

            return plies_dxf(build, planned)
        case "fitting.pdf":
            from fuseau.files.fitting_slip import fitting_pdf

            return fitting_pdf(build, planned, paper, unit)
        case "list.pdf":
            from fuseau.files.hardware_list import list_pdf

            return list_pdf(build, planned, paper, unit, takes)
    from fuseau.files.strips import bones_pdf, front_pdf, holes_pdf

    match what:
        case "front.pdf":
            return front_pdf(build, planned, paper, unit)
        case "holes.pdf":
            return holes_pdf(build, planned, paper, unit)
        case _:
            return bones_pdf(build, planned, paper, unit, mock_up=what == "mock-up-bones.pdf")
