"""The shell: what opens it, seams, the waist tape, channels, and what goes over the base (handbook, 3.10)."""

from collections.abc import Mapping

from fuseau.craft.base.findings import message
from fuseau.craft.boning.bones import in_a_fold
from fuseau.craft.closures.choices import OpeningKind
from fuseau.craft.closures.front import Opening, sewn_shut
from fuseau.craft.making.made_up import BASE, HEM, INSIDE, TOP, UNDER_CHANNELS, Listing, MadeUp, by_itself, unsewn
from fuseau.craft.making.steps import Place, Shuts, StepKey, cut_step, slug
from fuseau.craft.materials.minutes import MINUTES, Work
from fuseau.craft.pattern.pattern import seam_label

_SEAM_AGAIN = 1.5  # of a seam's minutes: unpicked at one place and sewn again
_TOOLS: Mapping[OpeningKind, tuple[str, ...]] = {
    "busk": ("zip_foot", "awl"),
    "zip": ("zip_foot",),
    "hidden zip": ("zip_foot",),
    "hooks": ("needle",),
    "lacing": ("machine", "iron"),
}
_BOUGHT: Mapping[OpeningKind, str] = {"busk": "busk", "zip": "zip", "hidden zip": "zip", "hooks": "hooks"}


def front(listing: Listing, made: MadeUp, prepared: Mapping[int, tuple[StepKey, ...]]) -> tuple[StepKey, ...]:
    """What opens it, sewn while its panels lie by themselves and their edges are raw; hooks at any time before that."""
    opening = made.opening
    if opening is None or opening.kind == "none":
        return ()
    halves = 2 if opening.half == "both" else 1
    works: Mapping[OpeningKind, list[tuple[Work, float]]] = {
        "busk": [("busk", 1)],
        "zip": [("separating zip", halves)],
        "hidden zip": [("hidden zip", halves)],
        "hooks": [("hooks by hand", halves * len(opening.marks_z_mm))],
        "lacing": [("facing", 2)],
    }
    busk, hooks = opening.kind == "busk", opening.kind == "hooks"
    reaches: list[tuple[Place, ...]] = [(INSIDE,)] if hooks else [(TOP,), (HEM,), (INSIDE,)]
    reaches += [(by_itself(1),)] if busk else []
    key = listing.add(
        "front",
        message(f"step.front.{opening.kind.replace(' ', '_')}", line=opening.line),
        works[opening.kind],
        stage="front",
        needs=[key for panel in _panels_beside(made, opening) for key in prepared.get(panel, ())],
        reaches=reaches,
        why=message("step.front.why.busk" if busk else "step.front.why"),
        how=opening.order,
        materials=opening.bought,
        cautions=("caution.needle_beside_busk",) if busk else tuple(caution.code for caution in opening.cautions),
        tools=_TOOLS[opening.kind],
        waits_for=(_BOUGHT[opening.kind],) if opening.kind in _BOUGHT else (),
    )
    if opening.flap_mm is None:
        return (key,)
    flap = listing.add(
        "flap",
        message("step.flap", line=opening.line),
        [("flap", 1)],
        stage="front",
        needs=(key,),
        reaches=((INSIDE,),),
        why=message("step.flap.why"),
        materials=(message("step.material.panel", width_mm=opening.flap_mm[0], height_mm=opening.flap_mm[1]),),
        tools=("machine", "iron"),
    )
    return key, flap


def _panels_beside(made: MadeUp, opening: Opening) -> tuple[int, ...]:
    if opening.line == "CF":
        return (1,)
    if opening.line == "CB" or opening.seam >= made.panels:
        return (made.panels,)
    return opening.seam, opening.seam + 1


def join(listing: Listing, made: MadeUp, prepared: Mapping[int, tuple[StepKey, ...]]) -> dict[int, StepKey]:
    """Panels joined from CF back; seam 0 is CF and the last panel's number CB, where those are sewn shut."""
    n, sewn = made.panels, sewn_shut(made.opening, laced=made.laced)
    seams = [*([0] if sewn.at_cf else []), *range(1, n), *([n] if sewn.at_cb else [])]
    joins = {}
    hard = any(made.known_cloths[ply.cloth].breaks_needles for ply in made.plies)
    for seam in seams:
        inner = 0 < seam < n
        label = seam_label(seam) if inner else "CB" if seam else "CF"
        works = _seam_works(made, 2 if inner else 1)
        panels = [panel for panel in (seam, seam + 1) if 1 <= panel <= n]
        again = _SEAM_AGAIN * sum(MINUTES[work] * count for work, count in works)
        shut = [*(by_itself(panel) for panel in panels if inner), unsewn(seam)]
        joins[seam] = listing.add(
            f"join {label.lower().replace('·', '-')}",
            message("step.join", seam=label),
            works,
            needs=[key for panel in panels for key in prepared[panel]],
            reaches=((INSIDE,), (TOP,), (HEM,)),
            shuts=[Shuts(place=place, open_again_min=again) for place in shut],
            why=message("step.join.why.turned" if made.method.seam == "turned" else "step.join.why"),
            tools=("machine", "iron", "ham"),
            cautions=("caution.needles_break",) if hard else (),
        )
    return joins


def _seam_works(made: MadeUp, times: int) -> list[tuple[Work, float]]:
    if made.method.seam == "turned":
        return [("sandwich seam", times)]
    sewn: Work = "sew a curved seam" if made.curved else "sew a seam"
    works: list[tuple[Work, float]] = [(sewn, times), ("press a seam", times), ("grade a seam", times)]
    return [*works, ("topstitch a seam", times)] if made.method.seam == "lapped" else works


def waist_tape(listing: Listing, made: MadeUp, joins: Mapping[int, StepKey]) -> None:
    """The waist tape, before the channels and the layer that hide it."""
    if made.taped:
        listing.add(
            "waist tape",
            message("step.waist_tape"),
            [("waist tape", 1)],
            stage="back",
            needs=joins.values(),
            reaches=((INSIDE,), (UNDER_CHANNELS,)),
            why=message("step.waist_tape.why"),
            tools=("machine",),
            waits_for=("tape",),
        )


def face_back(listing: Listing, made: MadeUp, prepared: Mapping[int, tuple[StepKey, ...]]) -> None:
    """Both lacing edges behind faced: the outer channels and the holes lie in this fold."""
    if made.laced:
        listing.add(
            "face back",
            message("step.face_back"),
            [("facing", 2)],
            stage="back",
            needs=prepared[made.panels],
            reaches=((TOP,), (HEM,), (INSIDE,)),
            why=message("step.face_back.why"),
            tools=("machine", "iron"),
        )


def channels(
    listing: Listing, made: MadeUp, joins: Mapping[int, StepKey], opened: tuple[StepKey, ...]
) -> dict[int, StepKey]:
    """The channels of each panel, after its seams; those beside a fold once that is faced."""
    found = {}
    for panel in range(1, made.panels + 1):
        both = made.bones_of(panel)
        if not both:
            continue
        works: dict[Work, float] = {}
        for bone in both:
            if bone.made == "inside tape" or bone.made == "outside tape":
                works[bone.made] = works.get(bone.made, 0.0) + 1
            else:
                works["channel stitching"] = works.get("channel stitching", 0.0) + 2
        folds = {bone.channel.split()[0] for bone in both if in_a_fold(bone.channel)}
        needs = [joins[seam] for seam in (panel - 1, panel) if seam in joins]
        needs += opened if "CF" in folds else ()
        needs += ["face back"] if "CB" in folds and made.laced else []
        found[panel] = listing.add(
            f"channels {panel}",
            message("step.channels", panel=panel, count=len(both)),
            works.items(),
            stage="bones",
            needs=needs,
            reaches=[(BASE,), *([(INSIDE,)] if "inside tape" in works else [])],
            shuts=(Shuts(place=UNDER_CHANNELS, open_again_min=2.0 * len(both)),),
            why=message("step.channels.why" if made.taped else "step.channels.why.plain"),
            tools=("machine",),
        )
    return found


def overlay(
    listing: Listing, made: MadeUp, joins: Mapping[int, StepKey], sewn: Mapping[int, StepKey]
) -> tuple[StepKey, ...]:
    """What is basted over the base once its channels are `sewn`, so that no line of stitching shows."""
    found = []
    for i, ply in enumerate(made.plies):
        whole = ply.mounted == "overlaid in one piece"
        if not whole and not made.over_the_base(ply):
            continue
        found.append(
            listing.add(
                f"overlay {i + 1} {slug(ply.cloth)}",
                message("step.overlay", cloth=ply.label),
                [("baste by hand", len(ply.panels))],
                stage="layers",
                needs=(*joins.values(), cut_step(ply.cloth), *(() if whole else sewn.values())),
                reaches=((TOP,), (HEM,)),
                shuts=(Shuts(place=BASE, open_again_min=10.0),),
                why=message("step.overlay.why"),
                tools=("needle",),
            )
        )
    return tuple(found)
