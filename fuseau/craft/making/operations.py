"""The steps of a garment, in their usual order, from how it is made up (model, section 13; handbook, 3.10 and 6)."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field

from fuseau.craft.base.findings import Message, message
from fuseau.craft.boning.bones import Bone, in_a_fold
from fuseau.craft.closures.back import ModestyPanel
from fuseau.craft.closures.front import Opening
from fuseau.craft.making.steps import Place, Shuts, Step, StepKey, cut_step, slug
from fuseau.craft.materials.catalogue import BoneKind, BoneName, GrommetKind
from fuseau.craft.materials.cloths import ClothName
from fuseau.craft.materials.minutes import MINUTES, Work
from fuseau.craft.pattern.pattern import Dart, Gusset, seam_label
from fuseau.craft.plies.methods import Method
from fuseau.craft.plies.reckoning import PlyPlan

INSIDE, UNDER_CHANNELS, BASE, UNPUNCHED = "the inside", "under the channels", "the base", "the back edge unpunched"
TOP, HEM, TOP_ENDS, HEM_ENDS = "the raw top edge", "the raw hem", "channel ends at the top", "channel ends at the hem"
_UNPICK = 0.6  # of the minutes that sewing took
_SEAM_AGAIN = 1.5  # of a seam's minutes: unpicked at one place and sewn again
_GLUE_H = 10.0


@dataclass(frozen=True)
class MadeUp:
    """How a garment is made up. `panels` are those of a half; edges are of the whole garment, mm.

    `mock_ups` are still to be made and tried on before the cloth is cut, `to_fit` tells that one is made and waits for
    its fitting. `binding`: how the edges are bound.
    """

    panels: int
    method: Method
    plies: tuple[PlyPlan, ...]
    cloth_labels: Mapping[ClothName, str]
    cloths: tuple[ClothName, ...]
    curved: bool
    bones: tuple[Bone, ...]
    left_bones: tuple[Bone, ...]
    kinds: Mapping[BoneName, BoneKind]
    opening: Opening | None
    laced: bool
    hole: GrommetKind
    holes: int
    modesty: ModestyPanel | None
    taped: bool
    gussets: tuple[Gusset, ...]
    darts: tuple[Dart, ...]
    cups: bool
    shoulders: bool
    top_mm: float
    hem_mm: float
    binding: str = "by hand"
    mock_ups: int = 0
    to_fit: bool = False
    version: int = 1


@dataclass
class _Listing:
    """The steps as they are listed, each with its place in the usual order."""

    steps: list[Step] = field(default_factory=list)

    def add(self, key: StepKey, name: Message, works: Iterable[tuple[Work, float]] = (), **more: object) -> StepKey:
        known = tuple((work, times) for work, times in works if times > 0)
        undo = more.pop("undo", _UNPICK)
        more.setdefault("stage", "make")
        minutes = sum(MINUTES[work] * times for work, times in known)
        self.steps.append(
            Step.model_validate(
                {
                    "key": key,
                    "name": name,
                    "works": known,
                    "undo_min": None if undo is None else float(str(undo)) * minutes,
                    "place": len(self.steps),
                    **more,
                }
            )
        )
        return key


def operations(made: MadeUp) -> tuple[Step, ...]:
    """Every step from the next mock-up to the lace, in the order in which it is usually done.

    What each needs, reaches and shuts is such that they can all be done; `garment_state` tells in which orders.
    """
    listing = _Listing()
    fitted = _mock_ups(listing, made)
    prepared = _prepare(listing, made, fitted)
    _let_in(listing, made, prepared)
    opened = _front(listing, made, prepared)
    joins = _join(listing, made, prepared)
    taped = _tape(listing, made, joins)
    channels = _channels(listing, made, joins, opened, taped)
    overlaid = _overlay(listing, made, joins, channels)
    _bone(listing, made, channels, overlaid)
    _lining(listing, made, joins, prepared)
    _edges(listing, made, joins, opened, overlaid)
    _closures(listing, made)
    return tuple(listing.steps)


# --- up to the cut cloth


def _mock_ups(listing: _Listing, made: MadeUp) -> tuple[StepKey, ...]:
    """The mock-ups that are still to be made, each with its fitting."""
    last: tuple[StepKey, ...] = ()
    if made.to_fit:
        last = (_fitting(listing, made.version, ()),)
    for i in range(made.mock_ups):
        number = made.version + i + (1 if made.to_fit else 0)
        key = listing.add(
            f"mock-up {number}",
            message("step.mock_up", version=number),
            [("mock-up", 1)],
            stage="mockups",
            needs=last,
            why=message("step.mock_up.why"),
            tools=_tools("machine", "iron"),
            undo=None,
        )
        last = (_fitting(listing, number, (key,)),)
    return last


def _fitting(listing: _Listing, number: int, needs: tuple[StepKey, ...]) -> StepKey:
    return listing.add(
        f"fitting {number}",
        message("step.fitting", version=number),
        [("fitting", 1)],
        stage="mockups",
        needs=needs,
        why=message("step.fitting.why"),
        with_whom="wearer",
        cautions=(message("caution.lace_slowly"),),
        undo=None,
    )


def _prepare(listing: _Listing, made: MadeUp, fitted: tuple[StepKey, ...]) -> dict[int, tuple[StepKey, ...]]:
    """Cloths cut, marked, and laid on each other; of each panel the steps after which it is ready to be sewn."""
    strength = next(ply for ply in made.plies if ply.role == "strength")
    cut = {}
    for cloth in made.cloths:
        over = sum(len(ply.panels) for ply in made.plies if ply.cloth == cloth)
        cut[cloth] = listing.add(
            cut_step(cloth),
            message("step.cut", cloth=made.cloth_labels[cloth]),
            [("cut a ply", over)],
            stage="cut",
            needs=fitted,
            why=message("step.cut.why") if fitted else None,
            tools=_tools("shears", "weights"),
            waits_for=(f"cloth {cloth}",),
            undo=None,
        )
    mark = listing.add(
        "mark",
        message("step.mark"),
        [("mark", made.panels)],
        needs=(cut[strength.cloth],),
        why=message("step.mark.why"),
        tools=_tools("chalk", "wheel"),
        undo=0,
    )
    ready: dict[int, list[StepKey]] = {panel: [mark] for panel in range(1, made.panels + 1)}
    for i, ply in enumerate(made.plies):
        if ply.role == "strength" or ply.mounted in ("floating", "bagged", "overlaid in one piece"):
            continue
        if ply.mounted == "overlaid by panels" and _over_the_base(made, ply):
            continue
        fused, by_hand = ply.mounted == "fused", ply.mounted == "overlaid by panels"
        work: Work = "fuse" if fused else "baste by hand" if by_hand else "baste by machine"
        key = listing.add(
            f"mount {i + 1} {slug(ply.cloth)}",
            message("step.fuse" if fused else "step.baste", cloth=ply.label),
            [(work, len(ply.panels))],
            stage="layers",
            needs=(mark, cut[ply.cloth]),
            why=message("step.fuse.why" if fused else "step.baste.why"),
            tools=_tools("iron") if fused else _tools("needle" if by_hand else "machine"),
            cautions=(message("caution.iron"),) if fused else (),
            optional=None if fused or by_hand else message("step.baste.optional"),
            undo=None if fused else _UNPICK,
        )
        for panel in ply.panels:
            if panel in ready:
                ready[panel].append(key)
    return {panel: tuple(keys) for panel, keys in ready.items()}


def _let_in(listing: _Listing, made: MadeUp, prepared: Mapping[int, tuple[StepKey, ...]]) -> None:
    """Darts and slashed gussets while their panel lies by itself, gussets in a seam before it is joined."""
    for i, dart in enumerate(made.darts):
        listing.add(
            f"dart {i + 1}",
            message("step.dart", panel=dart.panel),
            [("dart", 2)],
            stage="pattern",
            needs=prepared.get(dart.panel, ()),
            reaches=((_panel(dart.panel),),),
            why=message("step.let_in.why"),
            tools=_tools("machine", "iron"),
        )
    for i, gusset in enumerate(made.gussets):
        slashed = gusset.panel is not None
        where = _panel(gusset.panel) if gusset.panel is not None else _seam(gusset.seam or 1)
        panels = (gusset.panel,) if gusset.panel is not None else (gusset.seam or 1, (gusset.seam or 1) + 1)
        at = message("step.gusset.slashed", panel=gusset.panel) if gusset.panel is not None else None
        listing.add(
            f"gusset {i + 1}",
            at or message("step.gusset.seam", seam=seam_label(panels[0])),
            [("slashed gusset" if slashed else "gusset in a seam", 2)],
            stage="pattern",
            needs=tuple(dict.fromkeys(key for panel in panels for key in prepared.get(panel, ()))),
            reaches=((where,),),
            why=message("step.let_in.why"),
            tools=_tools("machine", "iron"),
        )


# --- the shell


def _front(listing: _Listing, made: MadeUp, prepared: Mapping[int, tuple[StepKey, ...]]) -> tuple[StepKey, ...]:
    """What opens it, sewn while its panels lie by themselves and their edges are raw."""
    opening = made.opening
    if opening is None or opening.kind == "none":
        return ()
    beside = _panels_beside(made, opening)
    halves = 2 if opening.half == "both" else 1
    works: dict[str, list[tuple[Work, float]]] = {
        "busk": [("busk", 1)],
        "zip": [("separating zip", halves)],
        "hidden zip": [("hidden zip", halves)],
        "hooks": [("hooks by hand", halves * len(opening.marks_z_mm))],
        "lacing": [("facing", 2)],
    }
    reaches = [(TOP,), (HEM,), (INSIDE,)]
    if opening.kind == "busk":
        reaches.append((_panel(1),))
    if opening.kind == "hooks":
        reaches = [(INSIDE,)]
    return (
        listing.add(
            "front",
            message(f"step.front.{opening.kind.replace(' ', '_')}", line=opening.line),
            works[opening.kind],
            stage="front",
            needs=tuple(dict.fromkeys(key for panel in beside for key in prepared.get(panel, ()))),
            reaches=tuple(reaches),
            why=message("step.front.why.busk" if opening.kind == "busk" else "step.front.why"),
            how=opening.order,
            materials=opening.bought,
            cautions=(message("caution.needle_beside_busk"),) if opening.kind == "busk" else opening.cautions,
            tools=_tools("zip foot" if opening.kind != "hooks" else "needle", "awl" if opening.kind == "busk" else ""),
            waits_for=_article(opening),
        ),
    )


def _panels_beside(made: MadeUp, opening: Opening) -> tuple[int, ...]:
    if opening.line == "CF":
        return (1,)
    if opening.line == "CB" or opening.seam >= made.panels:
        return (made.panels,)
    return opening.seam, opening.seam + 1


def _article(opening: Opening) -> tuple[str, ...]:
    sort = {"busk": "busk", "zip": "zip", "hidden zip": "zip", "hooks": "hooks"}.get(opening.kind)
    return (sort,) if sort else ()


def _join(listing: _Listing, made: MadeUp, prepared: Mapping[int, tuple[StepKey, ...]]) -> dict[int, StepKey]:
    """Panels joined from CF back; seam 0 is CF and the last panel's number CB, where those are sewn shut."""
    opening, n = made.opening, made.panels
    opens = opening.line if opening is not None and opening.kind != "none" else ""
    seams = list(range(1, n))
    if opens != "CF":
        seams.insert(0, 0)
    if not made.laced and opens != "CB":
        seams.append(n)
    joins = {}
    for seam in seams:
        label = "CF" if seam == 0 else "CB" if seam == n else seam_label(seam)
        times = 1 if seam in (0, n) else 2
        works = _seam_works(made, times)
        panels = [panel for panel in (seam, seam + 1) if 1 <= panel <= n]
        again = _SEAM_AGAIN * sum(MINUTES[work] * count for work, count in works)
        joins[seam] = listing.add(
            f"join {'cf' if seam == 0 else 'cb' if seam == n else f'{seam}-{seam + 1}'}",
            message("step.join", seam=label),
            works,
            needs=tuple(dict.fromkeys(key for panel in panels for key in prepared[panel])),
            reaches=((INSIDE,), (TOP,), (HEM,)),
            shuts=(
                *(Shuts(place=_panel(panel), open_again_min=again) for panel in panels if 0 < seam < n),
                Shuts(place=_seam(seam), open_again_min=again),
            ),
            why=message("step.join.why.turned" if made.method.seam == "turned" else "step.join.why"),
            tools=_tools("machine", "iron", "ham"),
        )
    return joins


def _seam_works(made: MadeUp, times: int) -> list[tuple[Work, float]]:
    if made.method.seam == "turned":
        return [("sandwich seam", times)]
    sewn: Work = "sew a curved seam" if made.curved else "sew a seam"
    works: list[tuple[Work, float]] = [(sewn, times), ("press a seam", times), ("grade a seam", times)]
    return [*works, ("topstitch a seam", times)] if made.method.seam == "lapped" else works


def _tape(listing: _Listing, made: MadeUp, joins: Mapping[int, StepKey]) -> tuple[StepKey, ...]:
    if not made.taped:
        return ()
    return (
        listing.add(
            "waist tape",
            message("step.waist_tape"),
            [("waist tape", 1)],
            stage="back",
            needs=tuple(joins.values()),
            reaches=((INSIDE,), (UNDER_CHANNELS,)),
            why=message("step.waist_tape.why"),
            tools=_tools("machine"),
            waits_for=("tape",),
        ),
    )


def _channels(
    listing: _Listing,
    made: MadeUp,
    joins: Mapping[int, StepKey],
    opened: tuple[StepKey, ...],
    taped: tuple[StepKey, ...],
) -> dict[int, StepKey]:
    """The channels of each panel, after its seams; those beside a fold once that is faced."""
    if made.laced:
        listing.add(
            "face back",
            message("step.face_back"),
            [("facing", 2)],
            stage="back",
            needs=_prepared_back(listing, made),
            reaches=((TOP,), (HEM,), (INSIDE,)),
            why=message("step.face_back.why"),
            tools=_tools("machine", "iron"),
        )
    found = {}
    for panel in range(1, made.panels + 1):
        both = _of_panel(made, panel)
        if not both:
            continue
        works: dict[Work, float] = {}
        for bone in both:
            work: Work = "channel stitching"
            if bone.made in ("inside tape", "outside tape"):
                work = "inside tape" if bone.made == "inside tape" else "outside tape"
            works[work] = works.get(work, 0.0) + (2 if work == "channel stitching" else 1)
        folds = {bone.channel.split()[0] for bone in both if in_a_fold(bone.channel)}
        needs = [joins[seam] for seam in (panel - 1, panel) if seam in joins]
        needs += [*opened] if "CF" in folds else []
        needs += ["face back"] if "CB" in folds and made.laced else []
        reaches: list[tuple[Place, ...]] = [(BASE,)]
        reaches += [(INSIDE,)] if "inside tape" in works else []
        found[panel] = listing.add(
            f"channels {panel}",
            message("step.channels", panel=panel, count=len(both)),
            works.items(),
            stage="bones",
            needs=needs,
            reaches=reaches,
            shuts=(Shuts(place=UNDER_CHANNELS, open_again_min=2.0 * len(both)),),
            why=message("step.channels.why" if taped else "step.channels.why.plain"),
            tools=_tools("machine"),
        )
    return found


def _prepared_back(listing: _Listing, made: MadeUp) -> tuple[StepKey, ...]:
    """What the panel behind needs: the same as its seam."""
    seam = f"join {made.panels - 1}-{made.panels}"
    return next((step.needs for step in listing.steps if step.key == seam), ("mark",))


def _overlay(
    listing: _Listing, made: MadeUp, joins: Mapping[int, StepKey], channels: Mapping[int, StepKey]
) -> tuple[StepKey, ...]:
    """What is basted over the base once its channels are sewn, so that no line of stitching shows."""
    found = []
    for i, ply in enumerate(made.plies):
        whole = ply.mounted == "overlaid in one piece"
        if not whole and not (ply.mounted == "overlaid by panels" and _over_the_base(made, ply)):
            continue
        found.append(
            listing.add(
                f"overlay {i + 1} {slug(ply.cloth)}",
                message("step.overlay", cloth=ply.label),
                [("baste by hand", len(ply.panels))],
                stage="layers",
                needs=(*joins.values(), cut_step(ply.cloth), *(() if whole else channels.values())),
                reaches=((TOP,), (HEM,)),
                shuts=(Shuts(place=BASE, open_again_min=10.0),),
                why=message("step.overlay.why"),
                tools=_tools("needle"),
            )
        )
    return tuple(found)


def _over_the_base(made: MadeUp, ply: PlyPlan) -> bool:
    """Whether a ply goes over the base after its channels, as the method has it, and not onto each panel before."""
    return made.method.fashion == "overlaid by panels" and ply.role == "fashion"


# --- bones, lining, edges


def _bone(listing: _Listing, made: MadeUp, channels: Mapping[int, StepKey], overlaid: tuple[StepKey, ...]) -> None:
    """Bones cut and closed by kind, and put in panel by panel, from the top or from the hem."""
    every = [bone for panel in range(1, made.panels + 1) for bone in _of_panel(made, panel)]
    for name in dict.fromkeys(bone.kind for bone in every):
        kind, lie = made.kinds[name], [bone for bone in every if bone.kind == name]
        count = sum(bone.count for bone in lie)
        work: Work = {"spiral steel": "cut a spiral bone", "flat steel": "cut a flat bone"}.get(  # type: ignore[assignment]
            kind.material, "cut a synthetic bone"
        )
        glued = kind.capped
        steel = "steel" in kind.material
        listing.add(
            f"cut bones {slug(name)}",
            message("step.cut_bones", kind=kind.label, count=count),
            [] if kind.sold == "ready-cut" else [(work, count)],
            stage="bones",
            waits_h=_GLUE_H if glued else 0.0,
            why=message("step.cut_bones.why.glue" if glued else "step.cut_bones.why"),
            tools=_tools("cutter", "file") if steel else _tools("shears", "file"),
            materials=tuple(
                message("step.material.bone", channel=bone.channel, length_mm=bone.length_mm, count=bone.count)
                for bone in lie
            ),
            cautions=(
                *([message("caution.cut_steel")] if steel else []),
                *([message("caution.glue")] if glued else []),
            ),
            waits_for=(f"bone {name}",),
            undo=None,
        )
    for panel, sewn in channels.items():
        both = _of_panel(made, panel)
        count = sum(bone.count for bone in both)
        listing.add(
            f"bones in {panel}",
            message("step.bones_in", panel=panel, count=count),
            [("bone in", count)],
            stage="bones",
            needs=(sewn, *(f"cut bones {slug(name)}" for name in dict.fromkeys(bone.kind for bone in both))),
            reaches=((TOP_ENDS, HEM_ENDS),),
            through=len(both),
            why=message("step.bones_in.why"),
            materials=tuple(
                message("step.material.bone_in", channel=bone.channel, length_mm=bone.length_mm, kind=bone.kind_label)
                for bone in both
            ),
        )


def _of_panel(made: MadeUp, panel: int) -> list[Bone]:
    """The bones of a panel, of both halves."""
    return [bone for bone in (*made.bones, *made.left_bones) if bone.panel == panel and bone.length_mm > 0]


def _lining(
    listing: _Listing,
    made: MadeUp,
    joins: Mapping[int, StepKey],
    prepared: Mapping[int, tuple[StepKey, ...]],
) -> None:
    """Cups set in, then what is sewn apart and set in: a lining that floats, or all of it bagged out."""
    if made.cups:
        listing.add(
            "cups",
            message("step.cups"),
            [("cup", 2)],
            stage="pattern",
            needs=tuple(joins.values()),
            reaches=((TOP,), (INSIDE,)),
            why=message("step.cups.why"),
            tools=_tools("machine", "ham"),
        )
    if made.shoulders:
        listing.add(
            "shoulders",
            message("step.shoulders"),
            [("shoulder piece", 2)],
            stage="pattern",
            needs=tuple(joins.values()),
            reaches=((TOP,), (INSIDE,)),
            why=message("step.shoulders.why"),
        )
    apart = [(i, ply) for i, ply in enumerate(made.plies) if ply.mounted in ("floating", "bagged")]
    sewn = []
    for i, ply in apart:
        share = len(ply.panels) / made.panels
        sewn.append(
            listing.add(
                f"sew {i + 1} {slug(ply.cloth)}",
                message("step.sew_apart", cloth=ply.label),
                [("sew a seam", 2 * (made.panels - 1) * share)],
                stage="layers",
                needs=(cut_step(ply.cloth), "mark"),
                why=message("step.sew_apart.why"),
                tools=_tools("machine", "iron"),
            )
        )
    floating = [ply for _, ply in apart if ply.mounted == "floating"]
    if floating:
        listing.add(
            "lining in",
            message("step.lining_in"),
            [("floating lining", len(floating))],
            stage="layers",
            needs=(*sewn, *joins.values()),
            reaches=((TOP,), (HEM,)),
            shuts=(Shuts(place=INSIDE, open_again_min=25.0),),
            why=message("step.lining_in.why"),
            tools=_tools("machine", "needle"),
        )
    if made.method.edges == "turned":
        bags = any(ply.mounted == "bagged" for _, ply in apart)
        listing.add(
            "bag out",
            message("step.bag_out"),
            [("facing", 2)],
            stage="layers",
            needs=(*sewn, *joins.values()),
            reaches=((TOP,), (HEM,)),
            shuts=(
                *([Shuts(place=INSIDE, open_again_min=30.0)] if bags else []),
                Shuts(place=TOP, open_again_min=15.0),
                Shuts(place=TOP_ENDS, open_again_min=8.0),
            ),
            why=message("step.bag_out.why"),
            tools=_tools("machine", "iron"),
        )


def _edges(
    listing: _Listing,
    made: MadeUp,
    joins: Mapping[int, StepKey],
    opened: tuple[StepKey, ...],
    overlaid: tuple[StepKey, ...],
) -> None:
    """Both edges shut: bound, or turned and the hem closed by hand. Whichever comes second shuts the channels."""
    sewn = opened if made.opening is not None and made.opening.kind != "hooks" else ()
    lined = tuple(step.key for step in listing.steps if step.key in ("lining in", "cups", "shoulders", "face back"))
    needs = (*joins.values(), *sewn, *overlaid, *lined)
    if made.method.edges == "turned":
        listing.add(
            "close hem",
            message("step.close_hem"),
            [("facing", 2)],
            needs=("bag out", *needs),
            shuts=(Shuts(place=HEM, open_again_min=10.0), Shuts(place=HEM_ENDS, open_again_min=6.0)),
            why=message("step.close_hem.why"),
            tools=_tools("needle"),
        )
        return
    for key, edge_mm, raw, ends in (("top", made.top_mm, TOP, TOP_ENDS), ("hem", made.hem_mm, HEM, HEM_ENDS)):
        by_hand = made.binding == "by hand"
        works: list[tuple[Work, float]] = (
            [("binding on", edge_mm / 100), ("binding by hand", edge_mm / 100)]
            if by_hand
            else [("binding in the ditch", edge_mm / 100)]
        )
        listing.add(
            f"bind {key}",
            message(f"step.bind.{key}"),
            works,
            needs=needs,
            shuts=(Shuts(place=raw, open_again_min=15.0), Shuts(place=ends, open_again_min=6.0)),
            why=message("step.bind.why"),
            tools=_tools("machine", "needle") if by_hand else _tools("machine"),
        )


def _closures(listing: _Listing, made: MadeUp) -> None:
    """The last fitting, holes, lace, and the panel behind."""
    bones = tuple(step.key for step in listing.steps if step.key.startswith("bones in "))
    edges = tuple(step.key for step in listing.steps if step.key.startswith(("bind ", "close ")))
    if made.laced:
        listing.add(
            "try on",
            message("step.try_on"),
            [("fitting", 1)],
            stage="back",
            needs=("face back", *bones),
            reaches=((UNPUNCHED,),),
            with_whom="wearer",
            why=message("step.try_on.why"),
            optional=message("step.try_on.optional"),
            cautions=(message("caution.lace_slowly"),),
            undo=None,
        )
        work: Work = {"worked_4": "worked eyelet", "tape_loop": "tape loop"}.get(made.hole.name, "grommet")  # type: ignore[assignment]
        behind = f"bones in {made.panels}"
        listing.add(
            "holes",
            message("step.holes", count=made.holes, kind=made.hole.label),
            [(work, made.holes)],
            stage="back",
            needs=("face back", *((behind,) if behind in bones else ())),
            shuts=(Shuts(place=UNPUNCHED),),
            why=message("step.holes.why"),
            tools=_tools("setter", "awl") if made.hole.bought else _tools("needle", "awl"),
            cautions=(message("caution.setter"),) if made.hole.bought else (),
            waits_for=("grommets",) if made.hole.bought else (),
            undo=None if work == "grommet" else _UNPICK,
        )
        listing.add(
            "lace",
            message("step.lace"),
            [("lace new", 1)],
            stage="back",
            needs=("holes", *edges),
            why=message("step.lace.why"),
            cautions=(message("caution.lace_slowly"),),
            waits_for=("lace",),
            undo=0,
        )
    if made.modesty is not None:
        bones_in_it = len(made.modesty.bones_along_mm) + len(made.modesty.bones_across_mm)
        listing.add(
            "modesty",
            message("step.modesty"),
            [("modesty panel", 1), ("modesty bone", bones_in_it)],
            stage="back",
            needs=tuple(step.key for step in listing.steps if step.stage == "cut"),
            why=message("step.modesty.why"),
            tools=_tools("machine"),
            later=True,
        )


def _tools(*names: str) -> tuple[Message, ...]:
    return tuple(message(f"tool.{name.replace(' ', '_')}") for name in names if name)


def _panel(number: int) -> Place:
    return f"panel {number} by itself"


def _seam(number: int) -> Place:
    return f"seam {number} unsewn"
