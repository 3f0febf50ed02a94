"""The steps of a garment, in their usual order, from how it is made up (model, section 13; handbook, 3.10 and 6)."""

from fuseau.craft.making.finishing import bones_in, closures, edges, line, set_in
from fuseau.craft.making.made_up import Listing, MadeUp
from fuseau.craft.making.preparing import cut_bones, cut_cloths, let_in, mock_ups, pads, prepare
from fuseau.craft.making.shell import channels, face_back, front, join, overlay, waist_tape
from fuseau.craft.making.steps import Step
from fuseau.craft.making.trimming import after_all, sewn_through, worked_flat


def operations(made: MadeUp) -> tuple[Step, ...]:
    """Every step from the next mock-up to the lace, in the order in which it is usually done.

    What each needs, reaches and shuts is such that they can all be done; `garment_state` tells in which orders. What
    has to set overnight comes early.
    """
    listing = Listing()
    fitted = mock_ups(listing, made, pads(listing, made))
    cut_cloths(listing, made, fitted)
    cut_bones(listing, made, fitted, waiting=True)
    prepared = prepare(listing, made)
    let_in(listing, made, prepared)
    worked_flat(listing, made, prepared)
    opened = front(listing, made, prepared)
    joins = join(listing, made, prepared)
    waist_tape(listing, made, joins)
    face_back(listing, made, prepared)
    sewn_through(listing, made, joins)
    sewn = channels(listing, made, joins, opened)
    overlaid = overlay(listing, made, joins, sewn)
    cut_bones(listing, made, fitted, waiting=False)
    boned = bones_in(listing, made, sewn)
    inserted = set_in(listing, made, joins)
    lined = line(listing, made, joins)
    hooked = made.opening is not None and made.opening.kind == "hooks"  # they can wait until the edges are shut
    faced = ("face back",) if made.laced else ()
    caught = (*joins.values(), *(() if hooked else opened), *overlaid, *inserted, *lined, *faced)
    shut = edges(listing, made, caught)
    closures(listing, made, boned, shut, opened)
    after_all(listing, made, boned, shut)
    return tuple(_with_materials(step, made) for step in listing.steps)


def _with_materials(step: Step, made: MadeUp) -> Step:
    more = made.materials.get(step.key)
    return step if more is None else step.model_copy(update={"materials": (*step.materials, *more)})
