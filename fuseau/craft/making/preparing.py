"""Up to panels that are ready to be sewn: mock-ups, cloths cut and marked, plies laid on each other, bones cut."""

from collections import Counter
from collections.abc import Mapping

from fuseau.craft.base.findings import message
from fuseau.craft.boning.checks import longer_than_sold
from fuseau.craft.making.made_up import Listing, MadeUp, alike, by_itself, unsewn
from fuseau.craft.making.steps import StepKey, cut_bones_step, cut_step, slug
from fuseau.craft.materials.minutes import Work
from fuseau.craft.pattern.pattern import seam_label
from fuseau.craft.plies.reckoning import PlyPlan

_GLUE_H = 10.0
_DIP_H = 24.0  # for each coat
_MOCK_UP_PANELS = 6.0  # the usual minutes are for so many panels in each half
_LEAST_MOCK_UP, _MOST_MOCK_UP = 2 / 3, 4 / 3  # 150 to 300 minutes (handbook, section 6)


def pads(listing: Listing, made: MadeUp) -> tuple[StepKey, ...]:
    """Padding: its layers cut, glued, bevelled and covered; the steps of what she wears from the first trying-on."""
    found = []
    for cloth, label in {pad.cloth: pad.label for pad in made.pads}.items():
        here = [pad for pad in made.pads if pad.cloth == cloth]
        cut: tuple[StepKey, ...] = ()
        if cloth not in made.cloths and cloth not in made.frills:
            key = listing.add(
                cut_step(cloth),
                message("step.cut", cloth=label),
                [("cut a pad", sum(pad.count * pad.layers for pad in here))],
                stage="cut",
                tools=("shears",),
                waits_for=(f"cloth {cloth}",),
                undo=None,
            )
            cut = (key,)
        for pad in here:
            key = listing.add(
                pad.key,
                message("step.pad", name=pad.name),
                [("shape a pad", pad.count * pad.layers), ("cover a pad", pad.count)],
                stage="brief",
                needs=cut,
                why=message("step.pad.why" if pad.under else "step.pad.over"),
                materials=pad.materials,
                undo=None,
            )
            found += [key] if pad.under else []
    return tuple(found)


def mock_ups(listing: Listing, made: MadeUp, padded: tuple[StepKey, ...]) -> tuple[StepKey, ...]:
    """The mock-ups that are still to be made, each with its fitting; the last fitting is what the cloth waits for.

    `padded`: the steps after which she has her padding to wear under them.
    """
    last: tuple[StepKey, ...] = (_fitting(listing, made.version, padded),) if made.to_fit else ()
    share = min(max(made.panels / _MOCK_UP_PANELS, _LEAST_MOCK_UP), _MOST_MOCK_UP)
    for i in range(made.mock_ups):
        number = made.version + i + made.to_fit
        key = listing.add(
            f"mock-up {number}",
            message("step.mock_up", version=number),
            [("mock-up", share)],
            stage="mockups",
            needs=last,
            why=message("step.mock_up.why"),
            tools=("machine", "iron"),
            undo=None,
        )
        last = (_fitting(listing, number, (key, *padded)),)
    return last


def _fitting(listing: Listing, number: int, needs: tuple[StepKey, ...]) -> StepKey:
    return listing.add(
        f"fitting {number}",
        message("step.fitting", version=number),
        [("fitting", 1)],
        stage="mockups",
        needs=needs,
        why=message("step.fitting.why"),
        with_whom="wearer",
        cautions=("caution.lace_slowly",),
        undo=None,
    )


def cut_cloths(listing: Listing, made: MadeUp, fitted: tuple[StepKey, ...]) -> None:
    """Every cloth cut, once the pattern is settled: what plies are of, and what hangs from the garment."""
    labels = {**made.cloths, **{cloth: label for cloth, (label, _) in made.frills.items() if cloth not in made.cloths}}
    for cloth, label in labels.items():
        panels = sum(len(ply.panels) for ply in made.plies if ply.cloth == cloth)
        _, frills = made.frills.get(cloth, (label, 0))
        listing.add(
            cut_step(cloth),
            message("step.cut", cloth=label),
            [("cut a ply", panels + frills / 2)],
            stage="cut",
            needs=fitted,
            why=message("step.cut.why") if fitted else None,
            tools=("shears", "weights"),
            cautions=("caution.sheds",) if made.known_cloths[cloth].sheds else (),
            waits_for=(f"cloth {cloth}",),
            undo=None,
        )


def prepare(listing: Listing, made: MadeUp) -> dict[int, tuple[StepKey, ...]]:
    """Panels marked, and their plies laid on each other; of each panel the steps after which it is ready to be sewn."""
    strength = next(ply for ply in made.plies if ply.role == "strength")
    mark = listing.add(
        "mark",
        message("step.mark"),
        [("mark", made.panels)],
        needs=(cut_step(strength.cloth),),
        why=message("step.mark.why"),
        tools=("chalk", "wheel"),
        undo=0,
    )
    ready: dict[int, list[StepKey]] = {panel: [mark] for panel in range(1, made.panels + 1)}
    for i, ply in enumerate(made.plies):
        apart = ply.mounted in ("floating", "bagged", "overlaid in one piece")
        if ply.role == "strength" or apart or made.over_the_base(ply):
            continue
        key = _mount(listing, f"mount {i + 1} {slug(ply.cloth)}", ply, mark)
        for panel in ply.panels:
            if panel in ready:
                ready[panel].append(key)
    return {panel: tuple(keys) for panel, keys in ready.items()}


def _mount(listing: Listing, key: StepKey, ply: PlyPlan, mark: StepKey) -> StepKey:
    """A ply fused, or basted by machine or by hand, onto the panels that it lies on."""
    needs = (mark, cut_step(ply.cloth))
    if ply.mounted == "fused":
        return listing.add(
            key,
            message("step.fuse", cloth=ply.label),
            [("fuse", len(ply.panels))],
            stage="layers",
            needs=needs,
            why=message("step.fuse.why"),
            tools=("iron",),
            cautions=("caution.iron",),
            undo=None,
        )
    by_hand = ply.mounted == "overlaid by panels"
    return listing.add(
        key,
        message("step.baste", cloth=ply.label),
        [("baste by hand" if by_hand else "baste by machine", len(ply.panels))],
        stage="layers",
        needs=needs,
        why=message("step.baste.why"),
        tools=("needle",) if by_hand else ("machine",),
        optional=None if by_hand else message("step.baste.optional"),
    )


def cut_bones(listing: Listing, made: MadeUp, fitted: tuple[StepKey, ...], *, waiting: bool) -> None:
    """Bones cut and closed, once no fitting changes them: those whose glue or dip has to set, or all the others."""
    every = [bone for panel in range(1, made.panels + 1) for bone in made.bones_of(panel)]
    behind = {made.modesty.bone: made.modesty.bones_mm} if made.modesty is not None and made.modesty.bones_mm else {}
    for name in dict.fromkeys((*(bone.kind for bone in every), *behind)):
        kind, lie = made.kinds[name], [bone for bone in every if bone.kind == name]
        there = behind.get(name, ())
        count = sum(bone.count for bone in lie) + len(there)
        too_long = any(longer_than_sold(mm, kind) for mm in (*(bone.length_mm for bone in lie), *there))
        coats = made.coats if kind.stuff.ends == "tipped or dipped" and kind.sold != "ready-cut" else 0.0
        waits_h = _GLUE_H if kind.capped else _DIP_H * coats
        if bool(waits_h) != waiting:
            continue
        # what is behind the lacing has its cutting in its own minutes
        own = count - len(there)
        works: list[tuple[Work, float]] = [(kind.stuff.work, own), ("dip a coat", own * coats)]
        cautions = (
            *(["caution.ends_fly"] if kind.stuff.flies else []),
            *(["caution.glue"] if waits_h else []),
            *(["caution.bone_longer_than_sold"] if too_long else []),
        )
        listing.add(
            cut_bones_step(name),
            message("step.cut_bones", kind=kind.label, count=count),
            [] if kind.sold == "ready-cut" else works,
            stage="bones",
            needs=fitted,
            waits_h=waits_h,
            why=message("step.cut_bones.why.glue" if waits_h else "step.cut_bones.why"),
            tools=kind.stuff.tools,
            materials=(
                *(
                    message("step.material.bone", channel=bone.channel, length_mm=bone.length_mm, count=count)
                    for bone, count in alike(lie)
                ),
                *(
                    message("step.material.bone_behind", length_mm=length, count=count)
                    for length, count in Counter(there).items()
                ),
            ),
            cautions=cautions,
            waits_for=(f"bone {name}",),
            undo=None,
        )


def let_in(listing: Listing, made: MadeUp, prepared: Mapping[int, tuple[StepKey, ...]]) -> None:
    """Darts and slashed gussets while their panel lies by itself, gussets in a seam before it is joined."""
    for i, dart in enumerate(made.darts):
        listing.add(
            f"dart {i + 1}",
            message("step.dart", panel=dart.panel),
            [("dart", 2)],
            stage="pattern",
            needs=prepared.get(dart.panel, ()),
            reaches=((by_itself(dart.panel),),),
            why=message("step.let_in.why"),
            tools=("machine", "iron"),
        )
    for i, gusset in enumerate(made.gussets):
        work: Work
        panels: tuple[int, ...]
        if gusset.panel is not None:
            name, work, panels = message("step.gusset.slashed", panel=gusset.panel), "slashed gusset", (gusset.panel,)
            where = by_itself(gusset.panel)
        else:
            seam = gusset.seam or 1
            name, work = message("step.gusset.seam", seam=seam_label(seam)), "gusset in a seam"
            panels, where = (seam, seam + 1), unsewn(seam)
        listing.add(
            f"gusset {i + 1}",
            name,
            [(work, 2)],
            stage="pattern",
            needs=[key for panel in panels for key in prepared.get(panel, ())],
            reaches=((where,),),
            why=message("step.let_in.why"),
            tools=("machine", "iron"),
        )
