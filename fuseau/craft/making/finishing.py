"""From the channels to the lace: bones in, what is set in, edges shut, holes, lace, the panel behind."""

from collections.abc import Mapping

from fuseau.craft.base.findings import Message, message
from fuseau.craft.making.made_up import HEM, HEM_ENDS, INSIDE, TOP, TOP_ENDS, UNPICK, UNPUNCHED, Listing, MadeUp, alike
from fuseau.craft.making.steps import Shuts, StepKey, cut_bones_step, cut_step, slug
from fuseau.craft.plies.methods import binding_works


def bones_in(listing: Listing, made: MadeUp, sewn: Mapping[int, StepKey]) -> dict[int, StepKey]:
    """Bones put in panel by panel, from the top or from the hem, once the channels are `sewn`."""
    found = {}
    for panel, channels in sewn.items():
        both = made.bones_of(panel)
        count = sum(bone.count for bone in both)
        found[panel] = listing.add(
            f"bones in {panel}",
            message("step.bones_in", panel=panel, count=count),
            [("bone in", count)],
            stage="bones",
            needs=(channels, *(cut_bones_step(bone.kind) for bone in both)),
            reaches=((TOP_ENDS, HEM_ENDS),),
            through=len(both),
            why=message("step.bones_in.why"),
            materials=tuple(
                message(
                    "step.material.bone_in",
                    channel=bone.channel,
                    length_mm=bone.length_mm,
                    kind=bone.kind_label,
                    count=each,
                )
                for bone, each in alike(both)
            ),
        )
    return found


def set_in(listing: Listing, made: MadeUp, joins: Mapping[int, StepKey]) -> tuple[StepKey, ...]:
    """Cups and shoulder pieces, set into the raw top edge."""
    found = []
    if made.cups:
        found.append(
            listing.add(
                "cups",
                message("step.cups"),
                [("cup", 2)],
                stage="pattern",
                needs=joins.values(),
                reaches=((TOP,), (INSIDE,)),
                why=message("step.cups.why"),
                tools=("machine", "ham"),
            )
        )
    if made.shoulders:
        found.append(
            listing.add(
                "shoulders",
                message("step.shoulders"),
                [("shoulder piece", 2)],
                stage="pattern",
                needs=joins.values(),
                reaches=((TOP,), (INSIDE,)),
                why=message("step.shoulders.why"),
                tools=("machine",),
            )
        )
    return tuple(found)


def line(listing: Listing, made: MadeUp, joins: Mapping[int, StepKey]) -> tuple[StepKey, ...]:
    """What is sewn apart and set in: a lining that floats, or all of it bagged out, the hem still open."""
    sewn, found = [], []
    floating = 0
    for i, ply in enumerate(made.plies):
        if ply.mounted not in ("floating", "bagged"):
            continue
        floating += ply.mounted == "floating"
        sewn.append(
            listing.add(
                f"sew {i + 1} {slug(ply.cloth)}",
                message("step.sew_apart", cloth=ply.label),
                [("sew a seam", 2 * (made.panels - 1) * len(ply.panels) / made.panels)],
                stage="layers",
                needs=(cut_step(ply.cloth), "mark"),
                why=message("step.sew_apart.why"),
                tools=("machine", "iron"),
            )
        )
    needs = (*sewn, *joins.values())
    if floating:
        found.append(
            listing.add(
                "lining in",
                message("step.lining_in"),
                [("floating lining", floating)],
                stage="layers",
                needs=needs,
                reaches=((TOP,), (HEM,)),
                shuts=(Shuts(place=INSIDE, open_again_min=25.0),),
                why=message("step.lining_in.why"),
                tools=("machine", "needle"),
            )
        )
    if made.method.edges == "turned":
        bags = any(ply.mounted == "bagged" for ply in made.plies)
        found.append(
            listing.add(
                "bag out",
                message("step.bag_out"),
                [("facing", 2)],
                stage="layers",
                needs=needs,
                reaches=((TOP,), (HEM,)),
                shuts=(
                    *([Shuts(place=INSIDE, open_again_min=30.0)] if bags else []),
                    Shuts(place=TOP, open_again_min=15.0),
                    Shuts(place=TOP_ENDS, open_again_min=8.0),
                ),
                why=message("step.bag_out.why"),
                tools=("machine", "iron"),
            )
        )
    return tuple(found)


def edges(listing: Listing, made: MadeUp, caught: tuple[StepKey, ...]) -> tuple[StepKey, ...]:
    """Both edges shut once all that is `caught` in them is there: bound, or the hem of a turned one closed by hand.

    Whichever comes second shuts the channels.
    """
    if made.method.edges == "turned":
        key = listing.add(
            "close hem",
            message("step.close_hem"),
            [("facing", 2)],
            needs=caught,
            shuts=(Shuts(place=HEM, open_again_min=10.0), Shuts(place=HEM_ENDS, open_again_min=6.0)),
            why=message("step.close_hem.why"),
            tools=("needle",),
        )
        return (key,)
    by_hand = made.binding == "by hand"
    found = []
    for edge, edge_mm, raw, ends in (("top", made.top_mm, TOP, TOP_ENDS), ("hem", made.hem_mm, HEM, HEM_ENDS)):
        found.append(
            listing.add(
                f"bind {edge}",
                message(f"step.bind.{edge}"),
                [(work, edge_mm / 100) for work in binding_works(by_hand)],
                needs=caught,
                shuts=(Shuts(place=raw, open_again_min=15.0), Shuts(place=ends, open_again_min=6.0)),
                why=message("step.bind.why"),
                tools=("machine", "needle") if by_hand else ("machine",),
            )
        )
    return tuple(found)


def closures(
    listing: Listing,
    made: MadeUp,
    bones: Mapping[int, StepKey],
    shut: tuple[StepKey, ...],
    opened: tuple[StepKey, ...],
) -> None:
    """The last fitting, holes behind and in front, lace once the edges are `shut`, and the panel behind."""
    holes = []
    if made.laced:
        listing.add(
            "try on",
            message("step.try_on"),
            [("fitting", 1)],
            stage="back",
            needs=("face back", *bones.values(), *(pad.key for pad in made.pads if pad.under)),
            reaches=((UNPUNCHED,),),
            with_whom="wearer",
            why=message("step.try_on.why"),
            optional=message("step.try_on.optional"),
            cautions=("caution.lace_slowly",),
            undo=None,
        )
        beside = [bones[made.panels]] if made.panels in bones else []
        name = message("step.holes", count=made.holes, kind=made.hole.label)
        holes.append(_holes(listing, made, "holes", name, made.holes, ("face back", *beside)))
    if made.front_holes:
        beside = [bones[1]] if 1 in bones else []
        name = message("step.front_holes", count=made.front_holes, kind=made.hole.label)
        holes.append(_holes(listing, made, "front holes", name, made.front_holes, (*opened, *beside)))
    if holes:
        listing.add(
            "lace",
            message("step.lace"),
            [("lace new", len(holes))],
            stage="back",
            needs=(*holes, *shut),
            why=message("step.lace.why"),
            cautions=("caution.lace_slowly",),
            waits_for=("lace",),
            undo=0,
        )
    if made.modesty is not None:
        stiffened = len(made.modesty.bones_along_mm) + len(made.modesty.bones_across_mm)
        listing.add(
            "modesty",
            message("step.modesty"),
            [("modesty panel", 1), ("modesty bone", stiffened)],
            stage="back",
            needs=[cut_step(cloth) for cloth in made.cloths],
            why=message("step.modesty.why"),
            tools=("machine",),
            later=True,
        )


def _holes(
    listing: Listing, made: MadeUp, key: StepKey, name: Message, count: int, needs: tuple[StepKey, ...]
) -> StepKey:
    """The holes of both edges, behind or in front; those behind can't be moved any more once they are set."""
    hole = made.hole
    return listing.add(
        key,
        name,
        [(hole.work, count)],
        stage="back",
        needs=needs,
        shuts=(Shuts(place=UNPUNCHED),) if key == "holes" else (),
        why=message("step.holes.why"),
        tools=("setter", "awl") if hole.bought else ("needle", "awl"),
        cautions=("caution.setter",) if hole.bought else (),
        waits_for=("grommets",) if hole.bought else (),
        undo=None if hole.bought else UNPICK,
    )
