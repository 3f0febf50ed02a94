"""Trims sewn on: each when what it lies on is ready for it, and before what would be in its way (model, 13 and 15)."""

from collections.abc import Mapping

from fuseau.craft.base.findings import message
from fuseau.craft.making.made_up import BASE, Listing, MadeUp, TrimWork, by_itself
from fuseau.craft.making.steps import StepKey, cut_step, trim_step


def worked_flat(listing: Listing, made: MadeUp, prepared: Mapping[int, tuple[StepKey, ...]]) -> None:
    """What is worked on panels while they lie by themselves: embroidery, paint, motifs."""
    for trim in made.trims:
        if trim.when != "before joining":
            continue
        panels = [panel for panel in trim.panels if panel in prepared] or list(prepared)
        _add(
            listing,
            trim,
            needs=[key for panel in panels for key in prepared[panel]],
            reaches=tuple((by_itself(panel),) for panel in panels),
            why="step.trim.why.flat",
        )


def sewn_through(listing: Listing, made: MadeUp, joins: Mapping[int, StepKey]) -> None:
    """What is sewn on across seams, while no bone lies under it yet."""
    for trim in made.trims:
        if trim.when == "before bones":
            _add(listing, trim, needs=joins.values(), reaches=((BASE,),), why="step.trim.why.before_bones")


def after_all(listing: Listing, made: MadeUp, bones: Mapping[int, StepKey], shut: tuple[StepKey, ...]) -> None:
    """Flossing once its bones are in; what lies on edges or hangs from them once those are shut; straps once it was
    tried on.
    """
    tried = ("try on",) if any(step.key == "try on" for step in listing.steps) else ()
    for trim in made.trims:
        cut = (cut_step(trim.cloth),) if trim.cloth else ()
        if trim.when == "on flossed ends":
            _add(listing, trim, needs=bones.values(), why="step.trim.why.flossing")
        elif trim.when == "on edges":
            _add(listing, trim, needs=(*shut, *cut), why="step.trim.why.edges")
        elif trim.when == "after the fitting":
            _add(listing, trim, needs=(*shut, *tried, *cut), why="step.trim.why.strap")


def _add(  # type: ignore[no-untyped-def]
    listing: Listing, trim: TrimWork, *, needs, why: str, reaches=()
) -> None:
    by_machine = all("machine" in work or work in ("hem rolled", "gather and sew on") for work, _ in trim.works)
    listing.add(
        trim_step(trim.key),
        message("step.trim", name=trim.name),
        trim.works,
        stage="trims",
        needs=tuple(needs),
        reaches=reaches,
        why=message(why),
        tools=("machine",) if by_machine else ("needle",),
        materials=trim.materials,
        optional=message("step.trim.optional"),
        later=trim.later,
    )
